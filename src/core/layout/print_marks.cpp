#include "core/layout/print_marks.hpp"

#include <algorithm>
#include <numbers>

namespace dotlane {

std::optional<PrintMarks> marks_of(const Project& project, const Sheet& sheet) {
  if (!sheet.printed || !sheet.outline.empty()) return std::nullopt;
  if (std::min(sheet.area.width(), sheet.area.height()) < kMarkLeastSheet) return std::nullopt;
  // Tools, and what finds the marks, reach no farther than this.
  const Box reach = project.machine.usable_area().grown(-(kMarkDot / 2 + kMarkQuiet));
  Box box = sheet.area.grown(-kMarkInset);
  box.x0 = std::max(box.x0, reach.x0), box.y0 = std::max(box.y0, reach.y0);
  box.x1 = std::min(box.x1, reach.x1), box.y1 = std::min(box.y1, reach.y1);
  if (std::min(box.width(), box.height()) < kMarkLeastSheet - 2 * kMarkInset) return std::nullopt;
  PrintMarks out;
  out.dots = {Vec{box.x0, box.y0}, Vec{box.x1, box.y0}, Vec{box.x1, box.y1}, Vec{box.x0, box.y1}};
  out.second = out.dots[0] + Vec{kMarkSecondAway, 0};
  return out;
}

Region zones_of(const PrintMarks& marks) {
  std::vector<Region> all;
  const auto disc = [&](Vec at, double radius) {
    constexpr int kCorners = 32;
    Ring ring;
    for (int i = 0; i < kCorners; ++i) {
      const double a = 2 * std::numbers::pi * i / kCorners;
      ring.push_back(at + Vec{std::cos(a), std::sin(a)} * (radius / std::cos(std::numbers::pi / kCorners)));
    }
    all.push_back(region_of({ring}, FillRule::nonzero));
  };
  for (const Vec dot : marks.dots) disc(dot, kMarkDot / 2 + kMarkQuiet);
  disc(marks.second, kMarkSecondDot / 2 + kMarkQuiet);
  return unite(all);
}

}  // namespace dotlane
