// The searchable list of all actions, below the field in the top bar.
#pragma once

#include <QLineEdit>
#include <QListWidget>

#include "app/actions.hpp"

namespace dotlane {

class ActionFinder : public QLineEdit {
  Q_OBJECT
 public:
  ActionFinder(const Actions& actions, QWidget* parent);
  /// Focuses the field and shows the whole list.
  void begin();

 protected:
  void keyPressEvent(QKeyEvent* event) override;
  void focusOutEvent(QFocusEvent* event) override;
  void paintEvent(QPaintEvent* event) override;

 private:
  void refill();
  void runCurrent();

  const Actions& actions_;
  QListWidget* list_;
};

}  // namespace dotlane
