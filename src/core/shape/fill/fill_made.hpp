// What a fill step filled and how: kept beside its lines, for figures, checks and advice.
#pragma once

#include <map>
#include <mutex>

#include "core/project/kinds.hpp"
#include "core/shape/fill/coverage.hpp"
#include "core/shape/fill/fill.hpp"

namespace dotlane {

/// All in the coordinates of the lines that the step worked on.
struct FillMade {
  Region region;
  FillOptions options;
  std::vector<Strokes> coats;
  std::vector<std::string> lines;  ///< ids of the lines that hold the strokes, coat by coat
  struct Part {
    Vec at;            ///< well inside it
    std::string line;  ///< a line that bounds it
  };
  std::vector<Part> parts;  ///< of the region, as parts_of() takes it apart
  std::size_t open = 0;     ///< contours that are open and stay unfilled
  bool on_mat = false;      ///< the angle counts on the mat, wherever its part comes to lie there
  bool coarse = false;      ///< fewer strokes than asked for, shown while all are worked out

  [[nodiscard]] Strokes all() const {
    Strokes out;
    for (const auto& coat : coats) out.append(coat);
    return out;
  }
  /// With this tip; worked out when first asked for. May be called from several threads.
  [[nodiscard]] const Coverage& coverage(double tip_mm) const {
    const std::lock_guard lock(mutex_);
    const auto [known, fresh] = coverage_.try_emplace(tip_mm);
    if (fresh) known->second = coverage_of(region, all(), {tip_mm, tip_mm / 8, kMostCells});
    return known->second;
  }

 private:
  static constexpr double kMostCells = 3e7;
  mutable std::mutex mutex_;
  mutable std::map<double, Coverage> coverage_;
};

/// The strokes as a path, a contour for each. Of those that follow outlines, with curves put back.
[[nodiscard]] Path stroke_path(const Strokes& strokes, bool curved);

/// The values of a fill step; `turned` is how far its piece is turned on the mat.
[[nodiscard]] FillOptions fill_options(const Reading& take, double turned);
/// The values that say these options; those that the step need not be told are left out.
[[nodiscard]] Values values_of(const FillOptions& options, double turned);

}  // namespace dotlane
