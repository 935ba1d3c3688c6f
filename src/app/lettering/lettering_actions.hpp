// Actions on lettering: typing, typefaces, letterforms, closing up.
#pragma once

#include <QObject>

#include "app/actions.hpp"
#include "app/lettering/lettering_fields.hpp"
#include "app/notice.hpp"

namespace dotlane {

class LetteringActions : public QObject {
  Q_OBJECT
 public:
  LetteringActions(Session& session, Typing& typing, Actions& actions, Notice& notice, QWidget* window);

  [[nodiscard]] LetteringDesk desk();
  /// Which actions make sense for what is selected.
  void update();

 signals:
  void made(int piece);  ///< new lettering, selected, ready to be typed in

 private:
  void chooseFace();
  void pickForms();
  void closeUp();

  Session& session_;
  Typing& typing_;
  Actions& actions_;
  Notice& notice_;
  QWidget* window_;
};

}  // namespace dotlane
