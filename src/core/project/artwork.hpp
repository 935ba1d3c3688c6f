// Artwork as a reader hands it over, before anyone has said what its lines are for.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/color.hpp"
#include "core/geometry/path.hpp"
#include "core/project/finding.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// One drawn element, in mm from the top left of the document.
struct ArtLine {
  std::string id;     ///< the element's id, else made from its kind; unique in the file
  std::string layer;  ///< labels of the groups around it, outermost first, joined with " / "
  Path path;
  std::optional<Color> stroke, fill;
  bool dashed = false;
};

/// What a drawing file holds.
struct Artwork {
  UnitSource unit_source = UnitSource::assumed;
  double per_inch = 96;                ///< user units per inch of paper
  double width_mm = 0, height_mm = 0;  ///< of the document; of the artwork's bounds where the file states none
  std::vector<ArtLine> lines;
  std::vector<Finding> notes;  ///< what was left out or assumed
};

}  // namespace dotlane
