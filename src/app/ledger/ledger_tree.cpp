#include "app/ledger/ledger_tree.hpp"

#include <QApplication>
#include <QHelpEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QScrollBar>
#include <QToolTip>

#include "app/ledger/ledger_model.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/project/arrange.hpp"
#include "core/project/edit.hpp"

namespace dotlane {
namespace {

constexpr int kIcon = 16;

int kind_of(const QModelIndex& row) { return row.isValid() ? row.data(LedgerModel::KindRole).toInt() : -1; }
int piece_of(const QModelIndex& row) {
  return kind_of(row) == LedgerModel::piece_row ? row.data(LedgerModel::PieceRole).toInt() : 0;
}

std::string group_of(const QModelIndex& row) {
  return kind_of(row) == LedgerModel::group_row ? row.data(LedgerModel::GroupRole).toString().toStdString() : "";
}

std::vector<int> pieces_of(const Project& project, const std::string& stock) {
  std::vector<int> out;
  for (const auto& piece : project.pieces) {
    if (piece->stock == stock) out.push_back(piece->id);
  }
  return out;
}

}  // namespace

QRect eye_place(const QRect& row, int kind) {
  const int y = kind == LedgerModel::piece_row ? row.top() + 31 : row.center().y() - kIcon / 2 + 1;
  return {row.right() - 14 - kIcon, y, kIcon, kIcon};
}
QRect lock_place(const QRect& row, int kind) { return eye_place(row, kind).translated(-kIcon - 6, 0); }
QRect name_place(const QRect& row, int kind) {
  if (kind == LedgerModel::group_row) return {26, row.top() + 1, row.right() - 26 - 80, 24};
  return {66, row.top() + 6, row.right() - 66 - 80, 24};
}

LedgerTree::LedgerTree(Session& session, QWidget* parent) : QTreeView(parent), session_(session) {
  setEditTriggers(QAbstractItemView::EditKeyPressed);
  setExpandsOnDoubleClick(false);
  setMouseTracking(true);
  viewport()->setAttribute(Qt::WA_Hover);
}

bool LedgerTree::clickIcon(const QModelIndex& row, QPoint at) {
  const int kind = kind_of(row);
  if (kind != LedgerModel::stock_row && kind != LedgerModel::group_row && kind != LedgerModel::piece_row) return false;
  QRect place = visualRect(row);
  place.setLeft(0);
  const bool eye = eye_place(place, kind).adjusted(-3, -3, 3, 3).contains(at);
  const bool lock = kind != LedgerModel::stock_row && lock_place(place, kind).adjusted(-3, -3, 3, 3).contains(at);
  if (!eye && !lock) return false;
  const Project& project = session_.project();
  std::vector<int> ids{piece_of(row)};
  if (kind == LedgerModel::stock_row)
    ids = pieces_of(project, row.data(LedgerModel::StockRole).toString().toStdString());
  if (kind == LedgerModel::group_row) ids = pieces_in(project, group_of(row));
  // One of several that are selected stands for all of them.
  const auto selected = session_.selectedPieces();
  if (kind == LedgerModel::piece_row && std::find(selected.begin(), selected.end(), ids.front()) != selected.end())
    ids = selected;
  bool Piece::*what = eye ? &Piece::hidden : &Piece::locked;
  const bool on = std::any_of(ids.begin(), ids.end(), [&](int id) {
    const Piece* piece = find_piece(project, id);
    return piece && !(piece->*what);
  });
  session_.commit(set_each(project, ids, what, on), eye  ? (on ? tr("Hide") : tr("Show"))
                                                    : on ? tr("Lock")
                                                         : tr("Unlock"));
  return true;
}

void LedgerTree::mousePressEvent(QMouseEvent* event) {
  const QPoint at = event->position().toPoint();
  const QModelIndex row = indexAt(at);
  pressed_.clear();
  choose_later_ = false;
  if (event->button() != Qt::LeftButton) return QTreeView::mousePressEvent(event);
  if (clickIcon(row, at)) return;
  press_ = at;
  const int piece = piece_of(row);
  const std::string group = group_of(row);
  const bool plain = !(event->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier));
  whole_ = !group.empty();
  if (whole_ && plain) pressed_ = pieces_in(session_.project(), group);
  if (piece != 0 && plain) {
    const auto selected = session_.selectedPieces();
    const bool chosen = selectionModel()->isSelected(row);
    pressed_ = chosen ? selected : std::vector<int>{piece};
    if (chosen && selected.size() > 1) {
      choose_later_ = true;
      return;
    }
  }
  QTreeView::mousePressEvent(event);
}

void LedgerTree::mouseMoveEvent(QMouseEvent* event) {
  const QPoint at = event->position().toPoint();
  if (!(event->buttons() & Qt::LeftButton) || pressed_.empty()) {
    // A press on an icon, or on a line, drags nothing and selects nothing more.
    if (!(event->buttons() & Qt::LeftButton)) QTreeView::mouseMoveEvent(event);
    return;
  }
  if (!dragging_ && (at - press_).manhattanLength() < QApplication::startDragDistance()) return;
  dragging_ = true;
  setCursor(Qt::ClosedHandCursor);
  constexpr int kEdge = 18;  // px: near the edge the list scrolls
  if (at.y() < kEdge) verticalScrollBar()->setValue(verticalScrollBar()->value() - 8);
  if (at.y() > viewport()->height() - kEdge) verticalScrollBar()->setValue(verticalScrollBar()->value() + 8);
  drop_ = dropAt(at);
  viewport()->update();
}

void LedgerTree::mouseReleaseEvent(QMouseEvent* event) {
  const bool dragged = std::exchange(dragging_, false);
  unsetCursor();
  if (dragged) {
    if (const auto to = std::exchange(drop_, std::nullopt)) drop(*to);
    pressed_.clear();
    viewport()->update();
    return;
  }
  if (std::exchange(choose_later_, false)) {
    const QModelIndex row = indexAt(event->position().toPoint());
    if (row.isValid()) {
      selectionModel()->setCurrentIndex(row, QItemSelectionModel::NoUpdate);
      selectionModel()->select(row, QItemSelectionModel::ClearAndSelect);
    }
  }
  pressed_.clear();
  QTreeView::mouseReleaseEvent(event);
}

void LedgerTree::mouseDoubleClickEvent(QMouseEvent* event) {
  const QModelIndex row = indexAt(event->position().toPoint());
  pressed_.clear();
  QRect place = visualRect(row);
  place.setLeft(0);
  const int kind = kind_of(row);
  if (kind != LedgerModel::piece_row && kind != LedgerModel::group_row) return QTreeView::mouseDoubleClickEvent(event);
  if (eye_place(place, kind)
          .united(lock_place(place, kind))
          .adjusted(-3, -3, 3, 3)
          .contains(event->position().toPoint())) {
    (void)clickIcon(row, event->position().toPoint());
  } else if (name_place(place, kind).contains(event->position().toPoint())) {
    edit(row);
  } else if (kind == LedgerModel::piece_row) {
    setExpanded(row, !isExpanded(row));
  }
}

void LedgerTree::keyPressEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Escape && dragging_) {
    dragging_ = false, drop_.reset(), pressed_.clear();
    unsetCursor();
    viewport()->update();
    return;
  }
  QTreeView::keyPressEvent(event);
}

std::optional<LedgerTree::Drop> LedgerTree::dropAt(QPoint at) const {
  QModelIndex row = indexAt(at);
  if (kind_of(row) == LedgerModel::line_row) row = row.parent();
  const Project& project = session_.project();
  const auto dragged = [this](int id) { return std::find(pressed_.begin(), pressed_.end(), id) != pressed_.end(); };
  Drop out;
  if (!row.isValid()) {  // below all of them
    const int rows = model()->rowCount({});
    if (rows == 0) return std::nullopt;
    const QModelIndex last = model()->index(rows - 1, 0, {});
    const Piece* piece = find_piece(project, piece_of(last));
    if (!piece) return std::nullopt;
    out.stock = piece->stock;
    const QRect rect = visualRect(last);
    out.mark = QRect(0, rect.bottom() - 1, viewport()->width(), 0);
    return out;
  }
  QRect rect = visualRect(row);
  rect.setLeft(0);
  if (kind_of(row) == LedgerModel::stock_row) {
    out.stock = row.data(LedgerModel::StockRole).toString().toStdString();
    for (const int id : pieces_of(project, out.stock)) {
      if (dragged(id)) continue;
      out.above = id;
      break;
    }
    out.mark = rect;
    return out;
  }
  if (const std::string group = group_of(row); !group.empty()) {
    // Onto its row: into it, above those that it has on this stock; a group goes above it as one.
    const Piece* first = find_piece(project, piece_of(row.siblingAtRow(row.row() + 1)));
    if (!first || dragged(first->id)) return std::nullopt;
    out.stock = first->stock, out.group = group, out.above = first->id;
    out.mark = whole_ ? QRect(0, rect.top(), viewport()->width(), 0) : rect;
    return out;
  }
  const Piece* on = find_piece(project, piece_of(row));
  if (!on) return std::nullopt;
  out.stock = on->stock;
  const double where = static_cast<double>(at.y() - rect.top()) / rect.height();
  if (where > 0.33 && where < 0.67 && !whole_) {
    if (dragged(on->id)) return std::nullopt;
    out.with = on->id, out.mark = rect;
    return out;
  }
  // Between two rows: which pieces are on either side.
  const auto same = pieces_of(project, out.stock);
  const auto here = std::find(same.begin(), same.end(), on->id);
  auto next = where < 0.5 ? here : here + 1;
  const Piece* before = next == same.begin() ? nullptr : find_piece(project, *(next - 1));
  while (next != same.end() && dragged(*next)) ++next;
  const Piece* after = next == same.end() ? nullptr : find_piece(project, *next);
  out.above = after ? after->id : 0;
  const Piece* first = find_piece(project, pressed_.front());
  const std::string over = before ? before->group : "", under = after ? after->group : "";
  out.group = over == under ? over : first && (first->group == over || first->group == under) ? first->group : "";
  out.mark = QRect(0, where < 0.5 ? rect.top() : rect.bottom(), viewport()->width(), 0);
  return out;
}

void LedgerTree::drop(const Drop& to) {
  Project next = session_.project();
  if (to.with == 0) {
    next = put_pieces(std::move(next), pressed_, to.above, to.stock, whole_ ? std::nullopt : std::optional(to.group));
    session_.commit(std::move(next), tr("Put elsewhere in the ledger"));
    return;
  }
  const Piece* with = find_piece(next, to.with);
  if (!with) return;
  const std::string group = with->group;
  // Below the one they go with.
  const auto same = pieces_of(next, to.stock);
  auto after = std::find(same.begin(), same.end(), to.with) + 1;
  while (after != same.end() && std::find(pressed_.begin(), pressed_.end(), *after) != pressed_.end()) ++after;
  next = put_pieces(std::move(next), pressed_, after == same.end() ? 0 : *after, to.stock, group);
  if (group.empty()) {
    std::vector<int> all = pressed_;
    all.push_back(to.with);
    next = group_pieces(std::move(next), all, tr("Group").toStdString());
  }
  session_.commit(std::move(next), tr("Put into a group"));
}

void LedgerTree::paintEvent(QPaintEvent* event) {
  QTreeView::paintEvent(event);
  if (!drop_) return;
  QPainter p(viewport());
  p.setPen(QPen(theme().accent, 2));
  if (drop_->mark.height() == 0) {
    p.drawLine(drop_->mark.topLeft() + QPoint(6, 0), drop_->mark.topRight() - QPoint(6, 0));
    p.setBrush(theme().panel);
    p.drawEllipse(drop_->mark.topLeft() + QPoint(6, 0), 3, 3);
  } else {
    p.setRenderHint(QPainter::Antialiasing);
    p.drawRoundedRect(QRectF(drop_->mark).adjusted(3, 2, -3, -2), 6, 6);
  }
}

bool LedgerTree::viewportEvent(QEvent* event) {
  if (event->type() != QEvent::ToolTip) return QTreeView::viewportEvent(event);
  const auto* help = static_cast<QHelpEvent*>(event);
  const QModelIndex row = indexAt(help->pos());
  QRect place = visualRect(row);
  place.setLeft(0);
  const int kind = kind_of(row);
  QString text;
  if (kind == LedgerModel::stock_row && eye_place(place, kind).contains(help->pos()))
    text = tr("Hide or show all of this stock");
  if (kind == LedgerModel::group_row && eye_place(place, kind).contains(help->pos()))
    text = tr("Hide or show all of this group. Hidden pieces are run all the same.");
  if (kind == LedgerModel::group_row && lock_place(place, kind).contains(help->pos()))
    text = tr("Lock all of this group, or unlock it");
  if (kind == LedgerModel::piece_row && eye_place(place, kind).contains(help->pos()))
    text = tr("Hide or show it. Hidden pieces are run all the same.");
  if (kind == LedgerModel::piece_row && lock_place(place, kind).contains(help->pos()))
    text = tr("Lock it, or unlock: hands on the bench pass by what is locked");
  if (text.isEmpty()) return QTreeView::viewportEvent(event);
  QToolTip::showText(help->globalPos(), text, viewport());
  return true;
}

}  // namespace dotlane
