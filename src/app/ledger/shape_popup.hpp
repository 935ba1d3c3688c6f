// The ready shapes to choose from, each shown as it looks.
#pragma once

#include <QFrame>

class QListWidget;

namespace dotlane {

class Actions;

class ShapePopup : public QFrame {
  Q_OBJECT
 public:
  ShapePopup(const Actions& actions, QWidget* parent);
  /// Shows itself above the button, with the keyboard in the list.
  void openAbove(const QWidget* button);

 protected:
  void keyPressEvent(QKeyEvent* event) override;

 private:
  void fill();
  const Actions& actions_;
  QListWidget* list_;
  bool dark_ = false;
};

}  // namespace dotlane
