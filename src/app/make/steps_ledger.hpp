// The steps with their parts: which number comes from which sheet, and what is in its place. A click on the ring at the
// right, or the space bar, ticks a part or a whole step off.
#pragma once

#include <QAbstractListModel>
#include <QListView>
#include <QWidget>

#include "app/make/make_desk.hpp"

class QLabel;

namespace dotlane {

class StepsModel : public QAbstractListModel {
  Q_OBJECT
 public:
  /// A step's heading, where it has several parts, or one of its copies.
  struct Row {
    std::size_t step = 0;
    std::optional<std::size_t> laid;
  };
  StepsModel(MakeDesk& desk, QObject* parent);
  [[nodiscard]] int rowCount(const QModelIndex& parent = {}) const override;
  [[nodiscard]] QVariant data(const QModelIndex& index, int role) const override;
  [[nodiscard]] const Row& row(int at) const { return rows_[static_cast<std::size_t>(at)]; }
  [[nodiscard]] MakeDesk& desk() const { return desk_; }
  /// Whether all that the row stands for is in place.
  [[nodiscard]] bool ticked(const Row& row) const;
  [[nodiscard]] QString sheetOf(std::size_t laid) const;
  void update();

 private:
  MakeDesk& desk_;
  std::shared_ptr<const MakeDesk::Made> shown_;
  std::vector<Row> rows_;
};

class StepsList : public QListView {
  Q_OBJECT
 public:
  using QListView::QListView;
  /// Where the ring of a row is ticked, px in the viewport.
  [[nodiscard]] QRect ring(int row) const;

 signals:
  void ringClicked(int row);
  void left();

 protected:
  void mousePressEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void leaveEvent(QEvent* event) override;
};

class StepsLedger : public QWidget {
  Q_OBJECT
 public:
  StepsLedger(MakeDesk& desk, QWidget* parent);

 private:
  void followDesk();
  void followList();
  void tick(int row);

  MakeDesk& desk_;
  StepsModel* model_;
  StepsList* list_;
  QLabel* count_;
  bool following_ = false;
};

}  // namespace dotlane
