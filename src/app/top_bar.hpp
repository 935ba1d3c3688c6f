// The bar along the top: project, stages with their state at a glance, the action finder, the unit, second look.
#pragma once

#include <QAbstractButton>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

#include "app/action_finder.hpp"
#include "app/session.hpp"

namespace dotlane {

enum class Stage { draft, sheets, passes, run, make, log };

/// A pill with a word and, quieter, how things stand.
class StagePill : public QAbstractButton {
  Q_OBJECT
 public:
  StagePill(const QString& word, QWidget* parent);
  void setState(const QString& state);
  /// Without its state, where there is no room for it.
  void setShort(bool on);
  [[nodiscard]] QSize sizeHint() const override;

 protected:
  void paintEvent(QPaintEvent* event) override;
  void enterEvent(QEnterEvent* event) override;
  void leaveEvent(QEvent* event) override;

 private:
  [[nodiscard]] QString shown() const { return short_ ? QString() : state_; }

  QString state_;
  bool short_ = false;
};

class TopBar : public QWidget {
  Q_OBJECT
 public:
  TopBar(Session& session, const Actions& actions, QWidget* parent);
  void setStage(Stage stage);
  void setRunState(const QString& state);
  void setSecondLookOpen(bool open);
  [[nodiscard]] ActionFinder* finder() const { return finder_; }
  /// The menu of the project: file commands and recent files.
  [[nodiscard]] QMenu* menu() const { return menu_; }

 protected:
  void resizeEvent(QResizeEvent* event) override;

 signals:
  void stagePicked(dotlane::Stage stage);
  void secondLookPicked();

 private:
  /// What a project comes to.
  struct Cost {
    int sheets = 0, pauses = 0;
    double seconds = 0;
  };
  void update();
  void updateCost();
  /// The states of stages give way to what needs its words; that of the stage that is shown last.
  void fitPills();

  Session& session_;
  Cost before_, now_;      // the last edit
  std::size_t steps_ = 0;  // that could be undone when `now_` was known
  QLabel* cost_;
  QPushButton* project_;
  QMenu* menu_;
  std::vector<StagePill*> stages_;
  ActionFinder* finder_;
  QAbstractButton *mm_, *inch_;
  QAbstractButton* second_look_;
};

}  // namespace dotlane
