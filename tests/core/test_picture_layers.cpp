// Pictures taken apart by colour. Real drawings are judged by tests/picture_layers_test.py.
#include <algorithm>
#include <catch2/catch.hpp>
#include <cmath>
#include <set>

#include "core/color_space.hpp"
#include "core/shape/picture_layers.hpp"
#include "core/shape/trace.hpp"

namespace dotlane {
namespace {

constexpr int kSide = 60;

/// A picture by a function of its pixels.
template <class Paint>
Picture picture_of(const Paint& paint) {
  Picture out;
  out.width = out.height = kSide;
  for (int y = 0; y < kSide; ++y) {
    for (int x = 0; x < kSide; ++x) {
      const Color c = paint(x, y);
      out.rgb.insert(out.rgb.end(), {c.r, c.g, c.b});
    }
  }
  return out;
}

Color mixed(Color a, Color b, double t) {
  const auto channel = [t](std::uint8_t p, std::uint8_t q) { return static_cast<std::uint8_t>(p + t * (q - p) + 0.5); };
  return {channel(a.r, b.r), channel(a.g, b.g), channel(a.b, b.b)};
}

PictureLayers layers(const Picture& picture, const LayerOptions& options) {
  return layers_of(picture, {0, 0, picture.width, picture.height}, options);
}

std::uint8_t at(const PictureLayers& l, int x, int y) { return l.layer[static_cast<std::size_t>(y * l.width + x)]; }

constexpr Color kRed{190, 40, 40}, kBlue{40, 60, 170}, kPaper{244, 240, 230}, kInk{30, 28, 30};

}  // namespace

TEST_CASE("a soft edge belongs to its two sides, however many colours are asked for") {
  // Blended over 6 px, as a scaled photograph has it.
  const Picture soft = picture_of([](int x, int) { return mixed(kRed, kBlue, std::clamp((x - 27) / 6.0, 0.0, 1.0)); });
  for (const int count : {2, 3, 5}) {
    LayerOptions options;
    options.count = count;
    options.narrowest_px = 4;
    const PictureLayers l = layers(soft, options);
    std::set<std::uint8_t> used(l.layer.begin(), l.layer.end());
    INFO(count);
    CHECK(used.size() == 2);
    for (int y = 0; y < kSide; ++y) {
      int changes = 0;
      for (int x = 1; x < kSide; ++x) changes += at(l, x, y) != at(l, x - 1, y);
      CHECK(changes == 1);
      CHECK(at(l, 25, y) != at(l, 35, y));
    }
  }
}

TEST_CASE("a colour joins a palette, and one that nobody can tell from it leaves it") {
  CHECK(with_or_without("", {200, 40, 40}) == "#c82828");
  CHECK(with_or_without("#c82828", {40, 60, 170}) == "#c82828 #283caa");
  CHECK(with_or_without("#c82828, #283caa", {204, 42, 40}) == "#283caa");
  CHECK(with_or_without("nothing", {0, 0, 0}) == "#000000");
}

TEST_CASE("colours that nobody can tell apart take one place") {
  const Picture picture = picture_of([](int x, int y) {
    if (y > 40) return Color{230, 140, 30};
    return x < 20 ? Color{20, 20, 22} : x < 40 ? Color{26, 24, 26} : Color{30, 28, 32};
  });
  LayerOptions options;
  options.count = 4;
  const PictureLayers l = layers(picture, options);
  CHECK(l.colors.size() == 2);
  for (std::size_t i = 0; i < l.colors.size(); ++i) {
    for (std::size_t k = 0; k < i; ++k) CHECK(difference(l.colors[i], l.colors[k]) > 8);
  }
}

TEST_CASE("a thin line of a colour of its own stays, unless parts so narrow are not wanted") {
  const Picture picture = picture_of([](int x, int) {
    if (x == 30 || x == 31) return kInk;                       // two px wide,
    if (x == 29 || x == 32) return mixed(kPaper, kInk, 0.35);  // with soft sides
    return kPaper;
  });
  LayerOptions options;
  options.count = 2;
  const PictureLayers kept = layers(picture, options);
  REQUIRE(kept.colors.size() == 2);
  for (int y = 0; y < kSide; ++y) CHECK(at(kept, 30, y) == 1);
  options.narrowest_px = 5;
  const PictureLayers gone = layers(picture, options);
  CHECK(std::set<std::uint8_t>(gone.layer.begin(), gone.layer.end()).size() == 1);
}

TEST_CASE("small parts go to what surrounds them, given colours are taken, the background goes but not an inside") {
  const auto ring = [](int x, int y) {
    const double r = std::hypot(x - 30, y - 30);
    if (x == 3 && y == 3) return kBlue;  // a speck
    return r < 8 || r > 20 ? kPaper : kRed;
  };
  LayerOptions options;
  options.count = 3;
  options.smallest_px2 = 4;
  const PictureLayers l = layers(picture_of(ring), options);
  CHECK(at(l, 3, 3) == at(l, 4, 4));
  options.given = {{255, 255, 255}, {200, 0, 0}};
  const PictureLayers given = layers(picture_of(ring), options);
  CHECK(given.colors == options.given);
  CHECK(at(given, 45, 30) == 1);
  options.without_edge = true;
  const PictureLayers open = layers(picture_of(ring), options);
  CHECK(at(open, 0, 0) == PictureLayers::kNone);
  CHECK(at(open, 30, 30) == 0);
  CHECK(at(open, 45, 30) == 1);
}

}  // namespace dotlane
