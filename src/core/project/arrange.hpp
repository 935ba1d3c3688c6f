// Edits that put pieces in order beside each other: groups, alignment, even gaps.
#pragma once

#include <optional>
#include <string>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// Puts the pieces into a group of this name inside whatever groups they share; a name already taken there gets a
/// number.
[[nodiscard]] Project group_pieces(Project project, const std::vector<int>& pieces, const std::string& name);
/// The outermost group of a piece; empty for none.
[[nodiscard]] std::string outermost_group(const std::string& group);
/// The pieces in it, in layer order.
[[nodiscard]] std::vector<int> pieces_in(const Project& project, const std::string& group);
/// Gives an outermost group another name, which gets a number where it is taken.
[[nodiscard]] Project rename_group(Project project, const std::string& group, const std::string& name);
/// Takes the pieces out of their innermost group.
[[nodiscard]] Project ungroup_pieces(Project project, const std::vector<int>& pieces);
/// The pieces and all others in the same group: the outermost, or the one inside `within`.
[[nodiscard]] std::vector<int> with_group(const Project& project, const std::vector<int>& pieces,
                                          const std::string& within = {});

enum class Align { left, centre, right, top, middle, bottom };
/// Brings these edges or middles of the pieces to those of the bounds around them all; groups move as one.
[[nodiscard]] Project align_pieces(Project project, const Drawing& drawing, const std::vector<int>& pieces, Align how);
/// Makes the gaps between three or more pieces equal, across or down; the outermost stay.
[[nodiscard]] Project distribute_pieces(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                        bool across);

/// Puts the pieces, in the order they have, above another one, or below all of the stock's where `above` is 0; onto the
/// stock and into the group given, or with the groups they have. Sheets follow the stocks.
[[nodiscard]] Project put_pieces(Project project, const std::vector<int>& pieces, int above, const std::string& stock,
                                 const std::optional<std::string>& group);

}  // namespace dotlane
