#include "core/color_space.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

namespace dotlane {
namespace {

constexpr double kPi = std::numbers::pi;
double radians(double degrees) { return degrees * kPi / 180; }

}  // namespace

Lab to_cielab(Color color) {
  const double r = linear(color.r), g = linear(color.g), b = linear(color.b);
  // IEC 61966-2-1; white point D65 (0.95047, 1, 1.08883).
  const double x = (0.4124 * r + 0.3576 * g + 0.1805 * b) / 0.95047;
  const double y = 0.2126 * r + 0.7152 * g + 0.0722 * b;
  const double z = (0.0193 * r + 0.1192 * g + 0.9505 * b) / 1.08883;
  auto f = [](double t) { return t > 216.0 / 24389 ? std::cbrt(t) : (24389.0 / 27 * t + 16) / 116; };
  return {116 * f(y) - 16, 500 * (f(x) - f(y)), 200 * (f(y) - f(z))};
}

Lab to_oklab(Color color) {
  const double r = linear(color.r), g = linear(color.g), b = linear(color.b);
  const double l = std::cbrt(0.4122214708 * r + 0.5363325363 * g + 0.0514459929 * b);
  const double m = std::cbrt(0.2119034982 * r + 0.6806995451 * g + 0.1073969566 * b);
  const double s = std::cbrt(0.0883024619 * r + 0.2817188376 * g + 0.6299787005 * b);
  return {0.2104542553 * l + 0.7936177850 * m - 0.0040720468 * s,
          1.9779984951 * l - 2.4285922050 * m + 0.4505937099 * s,
          0.0259040371 * l + 0.7827717662 * m - 0.8086757660 * s};
}

double ciede2000(const Lab& one, const Lab& other) {
  // The numbers in brackets are the paper's equations.
  const double c1 = std::hypot(one.a, one.b), c2 = std::hypot(other.a, other.b);  // (2)
  const double c_mean7 = std::pow((c1 + c2) / 2, 7);                              // (3)
  const double g = 0.5 * (1 - std::sqrt(c_mean7 / (c_mean7 + 6103515625.0)));     // (4), 25^7
  const double a1 = (1 + g) * one.a, a2 = (1 + g) * other.a;                      // (5)
  const double cp1 = std::hypot(a1, one.b), cp2 = std::hypot(a2, other.b);        // (6)
  auto hue = [](double b, double a) {                                             // (7)
    if (a == 0 && b == 0) return 0.0;
    const double h = std::atan2(b, a) * 180 / kPi;
    return h < 0 ? h + 360 : h;
  };
  const double h1 = hue(one.b, a1), h2 = hue(other.b, a2);
  const double dl = other.l - one.l, dc = cp2 - cp1;  // (8), (9)
  double dh = 0;                                      // (10)
  if (cp1 * cp2 != 0) {
    dh = h2 - h1;
    if (dh > 180) dh -= 360;
    if (dh < -180) dh += 360;
  }
  const double dH = 2 * std::sqrt(cp1 * cp2) * std::sin(radians(dh / 2));  // (11)
  const double l = (one.l + other.l) / 2, c = (cp1 + cp2) / 2;             // (12), (13)
  double h = h1 + h2;                                                      // (14)
  if (cp1 * cp2 != 0) {
    if (std::abs(h1 - h2) <= 180) {
      h /= 2;
    } else {
      h = h < 360 ? (h + 360) / 2 : (h - 360) / 2;
    }
  }
  const double t = 1 - 0.17 * std::cos(radians(h - 30)) + 0.24 * std::cos(radians(2 * h)) +
                   0.32 * std::cos(radians(3 * h + 6)) - 0.20 * std::cos(radians(4 * h - 63));  // (15)
  const double turn = 30 * std::exp(-std::pow((h - 275) / 25, 2));                              // (16)
  const double c7 = std::pow(c, 7);
  const double rc = 2 * std::sqrt(c7 / (c7 + 6103515625.0));  // (17)
  const double l50 = (l - 50) * (l - 50);
  const double sl = 1 + 0.015 * l50 / std::sqrt(20 + l50);  // (18)
  const double sc = 1 + 0.045 * c, sh = 1 + 0.015 * c * t;  // (19), (20)
  const double rt = -std::sin(radians(2 * turn)) * rc;      // (21)
  const double x = dl / sl, y = dc / sc, z = dH / sh;
  return std::sqrt(x * x + y * y + z * z + rt * y * z);  // (22)
}

double difference(Color one, Color other) { return ciede2000(to_cielab(one), to_cielab(other)); }

namespace {

struct EverydayColor {
  const char* name;
  Color color;
};
// Everyday words; where CSS Color Module Level 4 has the word, its sRGB value.
constexpr EverydayColor kEverydayColors[] = {
    {"black", {0, 0, 0}},          {"black", {34, 34, 34}},         {"dark grey", {72, 72, 72}},
    {"grey", {128, 128, 128}},     {"light grey", {200, 200, 200}}, {"white", {255, 255, 255}},
    {"red", {220, 30, 30}},        {"dark red", {139, 0, 0}},       {"pink", {255, 160, 185}},
    {"orange", {255, 140, 0}},     {"amber", {199, 127, 10}},       {"yellow", {240, 220, 30}},
    {"gold", {205, 170, 60}},      {"brown", {130, 80, 40}},        {"dark brown", {80, 50, 30}},
    {"beige", {225, 210, 180}},    {"rust", {156, 61, 46}},         {"green", {0, 140, 60}},
    {"dark green", {20, 70, 45}},  {"lime", {150, 210, 40}},        {"olive", {128, 128, 0}},
    {"mint", {160, 220, 190}},     {"teal", {0, 128, 128}},         {"turquoise", {64, 200, 200}},
    {"sky blue", {120, 180, 230}}, {"blue", {30, 80, 220}},         {"navy", {20, 30, 90}},
    {"purple", {128, 0, 128}},     {"violet", {150, 100, 220}},     {"lilac", {200, 170, 220}},
    {"magenta", {220, 40, 150}}};

}  // namespace

std::vector<std::string> color_names() {
  std::vector<std::string> out;
  for (const auto& named : kEverydayColors) {
    if (out.empty() || out.back() != named.name) out.emplace_back(named.name);
  }
  return out;
}

std::string color_name(Color color) {
  const Lab wanted = to_oklab(color);
  const EverydayColor* best = kEverydayColors;
  auto off = [&](const EverydayColor& n) {
    const Lab lab = to_oklab(n.color);
    // A grey is called grey before it is called a colour of its lightness.
    return std::hypot(lab.l - wanted.l, 2.5 * (lab.a - wanted.a), 2.5 * (lab.b - wanted.b));
  };
  for (const auto& named : kEverydayColors) {
    if (off(named) < off(*best)) best = &named;
  }
  return best->name;
}

}  // namespace dotlane
