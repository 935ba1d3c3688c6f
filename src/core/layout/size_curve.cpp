#include "core/layout/size_curve.hpp"

#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

SizePoint point_at(const School& school, double scale) {
  return {scale, sheets_at(school.project, school.drawing, school.layout, scale)};
}

School school_of(const Project& project, bool trimmed, DrawingCache& cache) {
  School out;
  out.trimmed = trimmed;
  out.project = project;
  out.drawing = evaluate(project, cache);
  out.layout = lay_out(project, out.drawing);
  out.big = how_big(project, out.drawing, out.layout);
  return out;
}

}  // namespace

std::size_t SizePoint::total() const {
  std::size_t out = 0;
  for (const auto& [stock, n] : sheets) out += n;
  return out;
}

std::vector<School> schools_of(const Project& project, DrawingCache& cache) {
  std::vector<School> out;
  out.push_back(school_of(project, false, cache));
  const Project trimmed = trim_under(project, {}, kTuckMm);
  if (!(trimmed == project) && out[0].big.part != npos) out.push_back(school_of(trimmed, true, cache));
  return out;
}

void size_curve(const School& school, std::size_t points, const std::function<void(const SizePoint&)>& tell,
                const std::function<bool()>& stop) {
  const double most = school.big.scale;
  if (!(most > 0) || points < 2) return;
  constexpr double kFrom = 0.25;
  const auto scale_of = [&](std::size_t k) {
    return most * (kFrom + (1 - kFrom) * static_cast<double>(k) / static_cast<double>(points - 1));
  };
  // More where the count changes between two that are known; where it does not, what lies between takes as many.
  const auto look = [&](std::size_t k) {
    SizePoint point = point_at(school, scale_of(k));
    tell(point);
    return point;
  };
  const SizePoint smallest = look(0);
  if (stop()) return;
  const SizePoint largest = look(points - 1);
  struct Stretch {
    std::size_t from, to;
    SizePoint low, high;
  };
  std::vector<Stretch> open{{0, points - 1, smallest, largest}};
  for (std::size_t next = 0; next < open.size() && !stop(); ++next) {
    const Stretch s = open[next];
    if (s.to - s.from < 2 || s.low.sheets == s.high.sheets) continue;
    const std::size_t middle = (s.from + s.to) / 2;
    const SizePoint there = look(middle);
    open.push_back({s.from, middle, s.low, there});
    open.push_back({middle, s.to, there, s.high});
  }
  if (most > 1 && !stop()) tell(point_at(school, 1));
}

std::optional<SizePoint> largest_for(const School& school, std::size_t sheets, const std::function<bool()>& stop) {
  constexpr double kExact = 0.005, kLeast = 0.25;  // of the largest that fits
  const double most = told_scale(school.big.scale);
  SizePoint best = point_at(school, most);
  if (best.total() <= sheets) return best;
  best = point_at(school, kLeast * most);
  if (best.total() > sheets) return std::nullopt;
  double low = kLeast, high = 1;
  while (high - low > kExact && !stop()) {
    const double middle = (low + high) / 2;
    SizePoint there = point_at(school, middle * most);
    if (there.total() <= sheets) {
      low = middle, best = std::move(there);
    } else {
      high = middle;
    }
  }
  return best;
}

}  // namespace dotlane
