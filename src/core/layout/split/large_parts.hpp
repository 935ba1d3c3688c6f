// The parts of a project that are larger than their sheets, divided: a seams step for each of their pieces.
#pragma once

#include <optional>
#include <string>

#include "core/layout/split/split.hpp"
#include "core/project/project.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {

struct DividedPart {
  int piece = 0;
  std::string name;
  std::size_t tiles = 0, seams = 0;
  double seam_mm = 0, visible_mm = 0;
  bool fits = true;
  bool seamless_trimmed = false;  ///< trimmed under what lies on it, but for kTuckMm, it would need no seam
};

struct DividedFigure {
  Project project;
  std::vector<DividedPart> parts;  ///< those that were too large, upper layers first
};

/// Every part of these pieces (of all, where none is named) that fits no sheet of its stock, in tiles that do. A seams
/// step is added at the end of the recipe; one that is there keeps how tiles are joined and its pinned seams, and is
/// found anew else: a piece that fits by now is whole again. Seams keep 15 mm clear of those of pieces that are above
/// or below.
[[nodiscard]] DividedFigure divide_large(const Project& project, const std::vector<int>& pieces, DrawingCache& cache);

}  // namespace dotlane
