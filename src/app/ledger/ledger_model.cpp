#include "app/ledger/ledger_model.hpp"

#include <map>
#include <set>

#include "app/units.hpp"
#include "core/project/arrange.hpp"
#include "core/project/edit.hpp"
#include "core/project/find.hpp"
#include "words/language.hpp"

namespace dotlane {

namespace {

/// What is out of the ordinary about it, for those who do not see the icons.
QString state_text(const Piece& piece) {
  QString out;
  if (piece.hidden) out += LedgerModel::tr(", hidden");
  if (piece.locked) out += LedgerModel::tr(", locked");
  if (piece.not_now) out += LedgerModel::tr(", not this time");
  return out;
}

}  // namespace

LedgerModel::LedgerModel(Session& session, QObject* parent) : QAbstractItemModel(parent), session_(session) {
  rows_ = rowsOf(session_.project());
  connect(&session_, &Session::shown, this, &LedgerModel::update);
}

std::vector<LedgerModel::Row> LedgerModel::rowsOf(const Project& project) const {
  std::vector<Row> out;
  std::set<std::string> stocks;
  std::map<int, const DrawnPiece*> drawn_by;
  for (const auto& drawn : session_.drawing().pieces) drawn_by[drawn->piece->id] = drawn.get();
  for (const auto& sheet : project.sheets) {
    if (!stocks.insert(sheet.stock).second) continue;
    Row heading;
    heading.stock = sheet.stock;
    out.push_back(std::move(heading));
    const std::size_t first = out.size();
    std::string group;  // that the last one is in
    for (const auto& piece : project.pieces) {
      if (piece->stock != sheet.stock) continue;
      Row row;
      row.piece = piece->id;
      const auto found = drawn_by.find(piece->id);
      const DrawnPiece* drawn = found == drawn_by.end() ? nullptr : found->second;
      if (!wanted_.empty() && !(drawn && is_meant(project, *drawn, wanted_, in_words))) continue;
      if (drawn) {
        for (const auto& line : drawn->piece->lines) row.lines.push_back(line.id);
      }
      if (const std::string in = outermost_group(piece->group); std::exchange(group, in) != in && !in.empty()) {
        Row together;
        together.group = in;
        out.push_back(std::move(together));
      }
      out.push_back(std::move(row));
    }
    if (!wanted_.empty() && out.size() == first) out.pop_back();
  }
  return out;
}

void LedgerModel::update() {
  auto next = rowsOf(session_.project());
  if (next == rows_) {
    if (!rows_.empty()) emit dataChanged(index(0, 0, {}), index(static_cast<int>(rows_.size()) - 1, 0, {}));
    return;
  }
  beginResetModel();
  rows_ = std::move(next);
  endResetModel();
}

// The internal id is 0 for top rows, else the row of the parent + 1.
QModelIndex LedgerModel::index(int row, int column, const QModelIndex& parent) const {
  if (row < 0 || column != 0 || row >= rowCount(parent)) return {};
  return createIndex(row, 0, parent.isValid() ? static_cast<quintptr>(parent.row()) + 1 : quintptr{0});
}

QModelIndex LedgerModel::parent(const QModelIndex& index) const {
  if (!index.isValid() || index.internalId() == 0) return {};
  return createIndex(static_cast<int>(index.internalId()) - 1, 0, quintptr{0});
}

int LedgerModel::rowCount(const QModelIndex& parent) const {
  if (!parent.isValid()) return static_cast<int>(rows_.size());
  if (parent.internalId() != 0) return 0;
  return static_cast<int>(rows_[static_cast<std::size_t>(parent.row())].lines.size());
}

QVariant LedgerModel::data(const QModelIndex& index, int role) const {
  if (!index.isValid()) return {};
  const bool is_line = index.internalId() != 0;
  const Row& row =
      rows_[is_line ? static_cast<std::size_t>(index.internalId()) - 1 : static_cast<std::size_t>(index.row())];
  const Project& project = session_.project();
  if (role == KindRole)
    return is_line ? line_row : !row.stock.empty() ? stock_row : !row.group.empty() ? group_row : piece_row;
  if (role == PieceRole) return row.piece;
  if (role == StockRole) return qs(row.stock);
  if (role == GroupRole) return qs(row.group);
  if (role == LineRole) return is_line ? index.row() : -1;
  if (role != Qt::DisplayRole && role != Qt::EditRole && role != Qt::AccessibleTextRole && role != Qt::ToolTipRole)
    return {};
  if (!row.stock.empty()) {
    const Stock* stock = find_stock(project, row.stock);
    return qs(stock ? stock->name : row.stock);
  }
  if (!row.group.empty()) {
    if (role != Qt::AccessibleTextRole) return qs(row.group);
    return tr("Group %1, %2 pieces").arg(qs(row.group)).arg(pieces_in(project, row.group).size());
  }
  const Piece* piece = find_piece(project, row.piece);
  if (!piece) return {};
  if (!is_line) return qs(piece->name) + (role == Qt::AccessibleTextRole ? state_text(*piece) : QString());
  const auto at = static_cast<std::size_t>(index.row());
  const DrawnPiece* drawn = find_drawn(session_.drawing(), row.piece);
  if (!drawn || at >= drawn->piece->lines.size()) return {};
  const Line& line = drawn->piece->lines[at];
  return tr("%1, %2 with %3").arg(qs(line.id), role_name(line.role), tool_name(project, line.tool));
}

Qt::ItemFlags LedgerModel::flags(const QModelIndex& index) const {
  if (!index.isValid()) return Qt::NoItemFlags;
  if (data(index, KindRole).toInt() == stock_row) return Qt::ItemIsEnabled | Qt::ItemNeverHasChildren;
  const bool piece = index.internalId() == 0;
  return Qt::ItemIsEnabled | Qt::ItemIsSelectable | (piece ? Qt::ItemIsEditable : Qt::NoItemFlags);
}

bool LedgerModel::setData(const QModelIndex& index, const QVariant& value, int role) {
  const std::string name = value.toString().trimmed().toStdString();
  if (role != Qt::EditRole || !index.isValid() || index.internalId() != 0 || name.empty()) return false;
  // Once the field is closed: rows that change would take it away while it is still at work.
  const auto rename = [this, row = rows_[static_cast<std::size_t>(index.row())], name] {
    const Project& now = session_.project();
    session_.commit(row.group.empty() ? rename_piece(now, row.piece, name) : rename_group(now, row.group, name),
                    tr("Rename"));
  };
  QMetaObject::invokeMethod(this, rename, Qt::QueuedConnection);
  return true;
}

void LedgerModel::setWanted(const QString& words) {
  wanted_ = words.trimmed().toStdString();
  update();
}

QItemSelection LedgerModel::selectionOf(const std::vector<LineRef>& refs) const {
  const std::set<LineRef> wanted(refs.begin(), refs.end());
  QItemSelection out;
  for (std::size_t i = 0; i < rows_.size(); ++i) {
    if (!rows_[i].stock.empty()) continue;
    const QModelIndex top = index(static_cast<int>(i), 0, {});
    if (!rows_[i].group.empty()) {
      const auto all = pieces_in(session_.project(), rows_[i].group);
      if (std::all_of(all.begin(), all.end(), [&](int id) { return wanted.contains({id, ""}); })) out.select(top, top);
      continue;
    }
    if (wanted.contains({rows_[i].piece, ""})) out.select(top, top);
    const auto first = wanted.lower_bound({rows_[i].piece, " "});
    if (first == wanted.end() || first->piece != rows_[i].piece) continue;
    const auto& lines = rows_[i].lines;
    for (std::size_t from = 0; from < lines.size(); ++from) {
      std::size_t to = from;
      while (to < lines.size() && wanted.contains({rows_[i].piece, lines[to]})) ++to;
      if (to > from) out.select(index(static_cast<int>(from), 0, top), index(static_cast<int>(to) - 1, 0, top));
      from = std::max(from, to);
    }
  }
  return out;
}

std::vector<LineRef> LedgerModel::refsAt(const QModelIndex& index) const {
  if (!index.isValid()) return {};
  const bool is_line = index.internalId() != 0;
  const Row& row =
      rows_[is_line ? static_cast<std::size_t>(index.internalId()) - 1 : static_cast<std::size_t>(index.row())];
  if (is_line) return {{row.piece, row.lines[static_cast<std::size_t>(index.row())]}};
  if (row.group.empty()) return {{row.piece, ""}};
  std::vector<LineRef> out;
  for (const int id : pieces_in(session_.project(), row.group)) out.push_back({id, ""});
  return out;
}

}  // namespace dotlane
