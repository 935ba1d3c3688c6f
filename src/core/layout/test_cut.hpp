// A test cut first: a small shape in a free corner of each sheet, cut as the sheet's own lines are.
#pragma once

#include <vector>

#include "core/layout/layout.hpp"

namespace dotlane {

struct TestCut {
  Project project;           ///< the sheets with nothing but their test shapes; planned and run like any other
  std::vector<int> no_room;  ///< sheets that are cut and have no free corner
  [[nodiscard]] bool empty() const { return project.pieces.empty(); }
};

/// For each sheet and each tool that cuts on it, a square with a triangle in it, as near to a corner as there is room;
/// a millimetre from every part at least. Sheets that are not run this time get none.
[[nodiscard]] TestCut test_cut_of(const Project& project, const Drawing& drawing, const Layout& layout);

inline constexpr double kTestCut = 10;  ///< mm: its side

}  // namespace dotlane
