// Force, speed and repeats of a pass, edited on its block in the lanes.
#pragma once

#include <QFrame>

#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class PassEditor : public QFrame {
  Q_OBJECT
 public:
  /// Goes away by itself: on Enter or Escape, or when the keyboard goes elsewhere.
  PassEditor(Session& session, const Pass& pass, QWidget* parent);
  void begin();

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  void fill();

  Session& session_;
  int sheet_;
  Role role_;
  NumberField *force_, *speed_, *repeats_;
};

}  // namespace dotlane
