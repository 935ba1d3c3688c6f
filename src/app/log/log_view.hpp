// The centre of the Log stage: a season of runs, a tile each, or what worked, a field for each stock.
#pragma once

#include <QAbstractListModel>
#include <QListView>
#include <QStackedWidget>

#include "app/log/log_desk.hpp"

namespace dotlane {

class RunTiles : public QAbstractListModel {
  Q_OBJECT
 public:
  explicit RunTiles(LogDesk& desk, QObject* parent);
  [[nodiscard]] int rowCount(const QModelIndex& under = {}) const override;
  [[nodiscard]] QVariant data(const QModelIndex& at, int role) const override;
  [[nodiscard]] const RunGlance& glance(int row) const { return desk_.glances()[static_cast<std::size_t>(row)]; }
  [[nodiscard]] LogDesk& desk() const { return desk_; }
  /// Whether the run is the first one shown of its month.
  [[nodiscard]] bool beginsMonth(int row) const;

 private:
  LogDesk& desk_;
};

/// Fields of force against depth, one a stock and tool.
class WorkedView : public QWidget {
  Q_OBJECT
 public:
  explicit WorkedView(QWidget* parent);
  void setFields(std::vector<LogDesk::Field> fields);
  [[nodiscard]] const std::vector<LogDesk::Field>& fields() const { return fields_; }

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;

 private:
  void arrange();
  std::vector<LogDesk::Field> fields_;
};

class LogView : public QStackedWidget {
  Q_OBJECT
 public:
  LogView(LogDesk& desk, QWidget* parent);
  [[nodiscard]] QListView& tiles() { return *tiles_; }
  [[nodiscard]] WorkedView& worked() { return *worked_; }
  void showWorked(const Project& project);
  void showSeason();

 private:
  LogDesk& desk_;
  RunTiles* model_;
  QListView* tiles_;
  WorkedView* worked_;
  QWidget *nothing_, *worked_page_;
};

}  // namespace dotlane
