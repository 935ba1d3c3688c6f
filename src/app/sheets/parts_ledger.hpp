// The list of parts by the sheets they lie on: which is where, how large, what waits. A row dragged onto another sheet
// finds room there.
#pragma once

#include <QAbstractListModel>
#include <QListView>
#include <QWidget>

#include "app/sheets/sheet_desk.hpp"

namespace dotlane {

class PartsModel : public QAbstractListModel {
  Q_OBJECT
 public:
  /// A sheet's heading, or a part on it. Sheet 0 is for what waits.
  struct Row {
    int sheet = 0;
    std::optional<std::size_t> laid;
    friend bool operator==(const Row&, const Row&) = default;
  };
  PartsModel(SheetDesk& desk, QObject* parent);
  [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
  [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
  [[nodiscard]] Qt::ItemFlags flags(const QModelIndex& index) const override;
  [[nodiscard]] const Row& row(int at) const { return rows_[static_cast<std::size_t>(at)]; }
  [[nodiscard]] SheetDesk& desk() const { return desk_; }
  /// Builds the rows anew where they changed.
  void update();

 private:
  SheetDesk& desk_;
  std::shared_ptr<const Derived> shown_;  // rows point into its layout
  std::vector<Row> rows_;
};

/// A list whose rows can be dragged onto others.
class PartsList : public QListView {
  Q_OBJECT
 public:
  using QListView::QListView;
  [[nodiscard]] int target() const { return target_; }

 signals:
  void droppedOn(int row);

 protected:
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void leaveEvent(QEvent* event) override;

 private:
  QPoint press_;
  bool armed_ = false, dragging_ = false;
  int target_ = -1;
};

class PartsLedger : public QWidget {
  Q_OBJECT
 public:
  PartsLedger(SheetDesk& desk, QWidget* parent);

 private:
  void followDesk();
  void followList();
  void moveTo(int row);

  SheetDesk& desk_;
  PartsModel* model_;
  PartsList* list_;
  QLabel* count_;
  bool following_ = false;
};

}  // namespace dotlane
