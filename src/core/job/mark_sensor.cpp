#include "core/job/mark_sensor.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <optional>

namespace dotlane {
namespace {

constexpr double kSpot = 0.8;                   // mm across
constexpr double kNoise = 0.03;                 // of full darkness
constexpr double kRows = 1.5;                   // mm between the rows in which dots are looked for
constexpr double kCoarse = 0.25, kFine = 0.05;  // mm between readings
constexpr double kLightAround = 1.5;            // mm beside a dot that must be light
constexpr double kWidthOff = 0.12;              // how much wider or narrower than a dot a dot may seem

class Looking {
 public:
  Looking(const std::function<double(Vec)>& darkness, const Box& reach) : darkness_(darkness), reach_(reach) {}

  double at(Vec p) const { return reach_.contains(p) ? darkness_(p) : 0; }

  /// The middle of the dot that a sweep through `near` crosses, and how wide it is there; nothing where there is no
  /// dark stretch of about a dot's width with light on either side.
  struct Crossing {
    double middle = 0, width = 0;
  };
  std::optional<Crossing> sweep(Vec near, bool level) const {
    const double half = kMarkDot / 2 + 2 * kLightAround;
    const int n = static_cast<int>(std::lround(2 * half / kFine));
    std::vector<double> dark(static_cast<std::size_t>(n) + 1);
    for (int i = 0; i <= n; ++i) {
      const double s = -half + i * kFine;
      dark[static_cast<std::size_t>(i)] = at(level ? near + Vec{s, 0} : near + Vec{0, s});
    }
    // The stretch about the middle: from there to where it is light for longer than noise lasts.
    const int middle = n / 2, still = static_cast<int>(std::lround(kLightAround / 2 / kFine));
    int from = middle, to = middle;
    const auto light_for = [&](int i, int way) {
      double sum = 0;
      for (int k = 0; k < still; ++k) {
        const int j = i + way * k;
        sum += j < 0 || j > n ? 1.0 : dark[static_cast<std::size_t>(j)];
      }
      return sum / still < 0.15;
    };
    while (from > 0 && !light_for(from, -1)) --from;
    while (to < n && !light_for(to, 1)) ++to;
    if (from == 0 || to == n) return std::nullopt;
    double sum = 0, moment = 0;
    for (int i = std::max(0, from - still); i <= std::min(n, to + still); ++i) {
      sum += dark[static_cast<std::size_t>(i)];
      moment += dark[static_cast<std::size_t>(i)] * (-half + i * kFine);
    }
    if (sum * kFine < 0.3 * kMarkDot) return std::nullopt;
    return Crossing{(level ? near.x : near.y) + moment / sum, sum * kFine};
  }

  /// A dot whose level chord has this middle, or nothing.
  std::optional<Vec> dot(Vec near) const {
    for (int round = 0; round < 3; ++round) {
      const auto upright = sweep(near, false);
      if (!upright) return std::nullopt;
      near.y = upright->middle;
      const auto level = sweep(near, true);
      if (!level) return std::nullopt;
      near.x = level->middle;
      if (round == 0) continue;
      const auto as_dot = [](double width) { return std::abs(width / kMarkDot - 1) < kWidthOff; };
      if (!as_dot(upright->width) || !as_dot(level->width)) return std::nullopt;
    }
    return near;
  }

  /// The dot nearest to a place, not farther away than `far` level and upright.
  std::optional<Vec> nearest(Vec place, double far) const {
    std::optional<Vec> best;
    const int rows = static_cast<int>(std::floor(far / kRows));
    for (int k = 0; k <= 2 * rows; ++k) {  // from the middle outwards
      const double y = place.y + ((k + 1) / 2) * (k % 2 == 0 ? kRows : -kRows);
      if (best && std::abs(y - place.y) > distance(*best, place) + kMarkDot / 2) break;
      double began = 0;
      bool in = false;
      for (double x = place.x - far; x <= place.x + far; x += kCoarse) {
        const bool dark = at({x, y}) > 0.5;
        if (dark && !in) began = x;
        if (!dark && in && x - began < 1.3 * kMarkDot) {
          const Vec middle{(began + x) / 2, y};
          const bool known = best && distance(*best, middle) < kMarkDot / 2;
          if (const auto found = known ? std::nullopt : dot(middle);
              found && (!best || distance(*found, place) < distance(*best, place)))
            best = found;
        }
        in = dark;
      }
    }
    return best;
  }

  /// Whether a small dot is there.
  bool small_dot(Vec place) const {
    double sum = 0;
    int n = 0;
    for (double x = -0.5; x <= 0.5; x += 0.1) {
      for (double y = -0.5; y <= 0.5; y += 0.1) sum += at(place + Vec{x, y}), ++n;
    }
    return sum / n > 0.5;
  }

 private:
  const std::function<double(Vec)>& darkness_;
  Box reach_;
};

}  // namespace

MarkSensor::MarkSensor(const PrintedSheet& sheet, unsigned seed)
    : art_(sheet.art), back_(sheet.placement.inverse()), stretch_(sheet.placement.max_stretch()), random_(seed) {
  for (const Vec dot : sheet.marks.dots) discs_.emplace_back(dot, kMarkDot / 2);
  discs_.emplace_back(sheet.marks.second, kMarkSecondDot / 2);
}

double MarkSensor::operator()(Vec at) {
  const Vec there = back_(at);
  double dark = 0;
  for (const auto& [centre, radius] : discs_) {
    // How much of the spot a straight edge at this distance covers, nearly.
    const double inside = (radius - distance(there, centre)) * stretch_;
    dark = std::max(dark, std::clamp(0.5 + inside / kSpot, 0.0, 1.0));
  }
  if (dark < 1 && !art_.empty()) {
    int covered = 0;
    for (const Vec off : {Vec{0, 0}, Vec{0.3, 0}, Vec{-0.3, 0}, Vec{0, 0.3}, Vec{0, -0.3}})
      covered += encloses(art_, there + off) ? 1 : 0;
    dark = std::max(dark, covered / 5.0);
  }
  // Twelve even ones make nearly a normal one.
  double noise = -6;
  for (int i = 0; i < 12; ++i) noise += static_cast<double>(random_()) / static_cast<double>(std::mt19937::max());
  return dark + kNoise * noise;
}

FoundMarks find_marks(const std::function<double(Vec)>& darkness, const Box& reach, const PrintMarks& planned) {
  const Looking looking(darkness, reach);
  FoundMarks out;
  static constexpr std::array<const char*, 4> kCorners{"mark-top-left", "mark-top-right", "mark-bottom-right",
                                                       "mark-bottom-left"};
  std::vector<Vec> from, to;
  Vec shift;
  for (std::size_t i = 0; i < planned.dots.size(); ++i) {
    Vec expected = planned.dots[i] + shift;
    double far = kMarkSearch;
    if (from.size() >= 2) {
      // Two tell how it is turned: the map that keeps shapes and takes these two there.
      const Vec a = from[1] - from[0], b = to[1] - to[0];
      const double n = a.x * a.x + a.y * a.y;
      const double c = (a.x * b.x + a.y * b.y) / n, s = (a.x * b.y - a.y * b.x) / n;
      const Vec p = planned.dots[i] - from[0];
      expected = to[0] + Vec{c * p.x - s * p.y, s * p.x + c * p.y};
      far = 4;
    }
    const auto found = looking.nearest(expected, far);
    if (!found) {
      out.problem = Said{kCorners[i]};
      return out;
    }
    from.push_back(planned.dots[i]), to.push_back(*found);
    if (i == 0) shift = *found - planned.dots[0];
  }
  const auto fit = fitted_affine(from, to);
  if (!fit || fit->residual_mm > kMarkResidual) {
    out.problem = Said{"marks-not-as-printed"};
    return out;
  }
  // At another corner the small dot would be on the side of the sheet's middle, as at the first.
  const Vec middle = (planned.dots[0] + planned.dots[2]) * 0.5;
  const bool right = looking.small_dot(fit->map(planned.second));
  const Vec turned = middle * 2 - planned.second;
  if (!right || looking.small_dot(fit->map(turned))) {
    out.problem = Said{"marks-wrong-way-round"};
    return out;
  }
  out.fit = *fit;
  return out;
}

}  // namespace dotlane
