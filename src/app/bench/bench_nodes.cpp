// The bench's hands on the nodes of a single line.
#include "app/bench/bench.hpp"
#include "app/bench/overlay.hpp"
#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

constexpr double kNodePx = 4, kNodeReachPx = 7;

}  // namespace

std::vector<Node> Bench::nodes() const {
  const auto& selection = session_.selection();
  if (selection.size() != 1 || selection.front().line.empty() || showsMats() || record_ || scrub_ >= 0 ||
      typing_.active() || sketch_.active() || picking_ != Picking::none || !inReach(selection.front().piece))
    return {};
  return nodes_of(session_.drawing(), selection.front());
}

std::optional<Node> Bench::nodeAt(QPointF at) const {
  std::optional<Node> best;
  double least = kNodeReachPx;
  for (const auto& node : nodes()) {
    const QPointF off = view_.to_px(node.at) - at;
    if (const double far = std::hypot(off.x(), off.y()); far <= least) least = far, best = node;
  }
  return best;
}

void Bench::dragNode(QPointF at, Qt::KeyboardModifiers keys) {
  const Vec to = metPlace(at, keys);
  session_.edit([node = dragged_node_.ref, by = to - dragged_node_.at](const Project& project,
                                                                       Effort) { return move_node(project, node, by); },
                tr("Move a node"), dragKey("node-"));
  update();
}

bool Bench::workNode(QPointF at) {
  if (const auto node = nodeAt(at)) {
    session_.commit(turn_node(session_.project(), node->ref),
                    node->smooth ? tr("Make a corner") : tr("Make it smooth"));
    return true;
  }
  const auto& selection = session_.selection();
  if (nodes().empty()) return false;
  const auto found = hit(at);
  if (!found || !(*found == selection.front())) return false;
  std::optional<NodeRef> made;
  session_.commit(add_node(session_.project(), *found, view_.to_mm(at), &made), tr("Add a node"));
  node_ = made;
  update();
  return true;
}

void Bench::paintNodes(QPainter& p) {
  p.setRenderHint(QPainter::Antialiasing);
  const QColor paper = theme().dark ? theme().ground : QColor(Qt::white);
  for (const auto& node : nodes()) {
    const QPointF at = view_.to_px(node.at);
    const bool chosen = node_ && node.ref == *node_;
    p.setPen(QPen(chosen ? theme().hands : theme().accent, 1.4));
    p.setBrush(chosen ? theme().hands : paper);
    // Corners are squares, smooth ones round.
    if (node.smooth) {
      p.drawEllipse(at, kNodePx, kNodePx);
    } else {
      p.drawRect(QRectF(at.x() - kNodePx + 0.5, at.y() - kNodePx + 0.5, 2 * kNodePx - 1, 2 * kNodePx - 1));
    }
    if (drag_ == Drag::node && moved_ && chosen) {
      const LengthUnit unit = session_.project().unit;
      paint_pill(p, length_number(node.at.x, unit) + QStringLiteral(" × ") + length_text(node.at.y, unit),
                 at + QPointF(0, -22), canvas());
    }
  }
}

}  // namespace dotlane
