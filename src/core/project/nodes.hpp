// The nodes of a piece's own lines: moved, added, taken out, made corners or smooth.
#pragma once

#include <optional>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

/// A node of a line: 0 is where the contour starts, n where its n-th segment ends.
struct NodeRef {
  int piece = 0;
  std::string line;
  std::size_t contour = 0, node = 0;
  friend bool operator==(const NodeRef&, const NodeRef&) = default;
};

struct Node {
  NodeRef ref;
  Vec at;  ///< mm in the figure
  bool smooth = false;
};

/// Of a line of a piece without a recipe; nothing where it has more than `most`.
[[nodiscard]] std::vector<Node> nodes_of(const Drawing& drawing, const LineRef& line, std::size_t most = 500);

/// Moves the node by so much in the figure, mm; curves beside it go along.
[[nodiscard]] Project move_node(Project project, const NodeRef& node, Vec by);
/// Adds a node where the line passes nearest to the place (mm in the figure); its course does not change. `made` hears
/// which it is.
[[nodiscard]] Project add_node(Project project, const LineRef& line, Vec at, std::optional<NodeRef>* made = nullptr);
/// Takes the node out; what is beside it is joined. A contour keeps at least one segment, a closed one two.
[[nodiscard]] Project remove_node(Project project, const NodeRef& node);
/// Makes a corner of a smooth node, with straight lines beside it, or rounds a corner off.
[[nodiscard]] Project turn_node(Project project, const NodeRef& node);

}  // namespace dotlane
