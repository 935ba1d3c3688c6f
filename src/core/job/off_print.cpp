#include "core/job/off_print.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/geometry/flatten.hpp"

namespace dotlane {

OffPrint off_print(const Plan& plan, const RunRecord& record, const PrintedSheet& printed, const Box& area) {
  struct Wanted {
    Polyline course;
    Box box;
  };
  std::vector<Wanted> wanted;
  for (const auto& pass : plan.passes) {
    if (pass.sheet != printed.sheet) continue;
    for (const auto& stroke : pass.strokes) {
      Wanted w;
      for (const Vec p : stroke.points()) w.course.points.push_back(printed.placement(p));
      for (const Vec p : w.course.points) w.box.add(p);
      wanted.push_back(std::move(w));
    }
  }
  constexpr double kNear = 0.5;  // mm: farther strokes are only asked where none is so near
  const auto off = [&](Vec at) {
    double best = std::numeric_limits<double>::infinity();
    for (const double reach : {kNear, std::numeric_limits<double>::infinity()}) {
      for (const auto& w : wanted) {
        if (w.box.grown(std::min(reach, best)).contains(at)) best = std::min(best, distance_to(w.course, at));
      }
      if (best <= reach) break;
    }
    return best;
  };
  const Affine back = printed.placement.inverse();
  OffPrint out;
  double sum = 0;
  std::size_t n = 0;
  for (const auto& mark : record.marks) {
    if (mark.mat != printed.load || mark.points.empty() || wanted.empty()) continue;
    if (!area.contains(back(mark.points[mark.points.size() / 2]))) continue;
    const auto look = [&](Vec at) {
      const double d = off(at);
      sum += d, ++n;
      if (d > out.most_mm) out.most_mm = d, out.worst = at;
    };
    look(mark.points.front());
    for (std::size_t i = 1; i < mark.points.size(); ++i) {
      const double length = distance(mark.points[i - 1], mark.points[i]);
      out.marked_mm += length;
      const int steps = std::max(1, static_cast<int>(std::ceil(length)));
      for (int k = 1; k <= steps; ++k) look(lerp(mark.points[i - 1], mark.points[i], static_cast<double>(k) / steps));
    }
  }
  if (n > 0) out.mean_mm = sum / static_cast<double>(n);
  return out;
}

}  // namespace dotlane
