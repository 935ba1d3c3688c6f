// Layout: which parts lie on which sheet, sheet by sheet, mat load by mat load.
#pragma once

#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

struct PlacedSheet {
  Sheet sheet;
  std::vector<std::shared_ptr<const DrawnPiece>> parts;  ///< top layer first
};

struct Layout {
  std::vector<PlacedSheet> sheets;  ///< in load order, then as in the project
  [[nodiscard]] int loads() const;
};

/// Puts every piece on the sheet of its stock, where it stands on the mat. Pieces whose stock has no sheet are left out
/// (match_sheets() in core/project/edit.hpp keeps that from happening).
[[nodiscard]] Layout lay_out(const Project& project, const Drawing& drawing);

}  // namespace dotlane
