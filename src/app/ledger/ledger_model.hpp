// The ledger's rows: stocks as headings, their pieces below them in layer order, groups with a row above theirs, each
// piece's lines inside it.
#pragma once

#include <QAbstractItemModel>
#include <QItemSelection>

#include "app/session.hpp"

namespace dotlane {

class LedgerModel : public QAbstractItemModel {
  Q_OBJECT
 public:
  enum Kind { stock_row, group_row, piece_row, line_row };
  enum Roles { KindRole = Qt::UserRole + 1, PieceRole, LineRole, StockRole, GroupRole };

  explicit LedgerModel(Session& session, QObject* parent);

  [[nodiscard]] QModelIndex index(int row, int column, const QModelIndex& parent) const override;
  [[nodiscard]] QModelIndex parent(const QModelIndex& index) const override;
  [[nodiscard]] int rowCount(const QModelIndex& parent) const override;
  [[nodiscard]] int columnCount(const QModelIndex&) const override { return 1; }
  [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
  [[nodiscard]] Qt::ItemFlags flags(const QModelIndex& index) const override;

  /// The rows of these pieces and lines, neighbours gathered into ranges.
  [[nodiscard]] QItemSelection selectionOf(const std::vector<LineRef>& refs) const;
  /// The piece or the line of a row; of a group's row all its pieces.
  [[nodiscard]] std::vector<LineRef> refsAt(const QModelIndex& index) const;
  [[nodiscard]] const Session& session() const { return session_; }
  bool setData(const QModelIndex& index, const QVariant& value, int role) override;
  /// Shows only the pieces that these words mean.
  void setWanted(const QString& words);

 private:
  struct Row {
    std::string stock;  // of a heading; empty for others
    std::string group;  // of a group's row
    int piece = 0;
    std::vector<std::string> lines;  // ids
    friend bool operator==(const Row&, const Row&) = default;
  };
  [[nodiscard]] std::vector<Row> rowsOf(const Project& project) const;
  void update();

  Session& session_;
  std::vector<Row> rows_;
  std::string wanted_;
};

}  // namespace dotlane
