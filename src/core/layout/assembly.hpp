// In which steps the parts are put together, and where each of them comes from.
#pragma once

#include <string>
#include <vector>

#include "core/layout/layout.hpp"

namespace dotlane {

/// One piece put in its place: all of its parts at once.
struct AssemblyStep {
  int piece = 0;
  std::string name;                ///< the piece's
  std::vector<std::size_t> parts;  ///< indices in Layout::parts, by number
  bool in_tiles = false;           ///< divided by seams: joined before it is laid down
};

/// From the back layer up, or the top layer first as transfers are laid. Every part that is cut out comes in exactly
/// one step; what is only drawn on a sheet in none.
[[nodiscard]] std::vector<AssemblyStep> assembly_of(const Drawing& drawing, const Layout& layout,
                                                    bool top_first = false);

/// For each step, which layer it is in, the lowest 0: above everything below it that it lies on, however many steps
/// these are.
[[nodiscard]] std::vector<std::size_t> levels_of(const Layout& layout, const std::vector<AssemblyStep>& steps,
                                                 bool top_first = false);

/// The sheets that the copies of a part lie on, as they are counted from 1 in Layout::sheets; empty where all wait.
[[nodiscard]] std::vector<int> sheets_with(const Layout& layout, std::size_t part);

/// The place in a part's body where its number reads best: in the middle of its widest level stretch at the height of
/// its centre. The body must not be empty.
[[nodiscard]] Vec number_place(const Region& body);

}  // namespace dotlane
