// What is chosen on the sheets: where it lies, how it is turned, how many are made, what may happen to it.
#pragma once

#include <QCheckBox>
#include <QFrame>
#include <QLabel>
#include <QPushButton>

#include "app/sheets/sheet_desk.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class PartCard : public QFrame {
  Q_OBJECT
 public:
  PartCard(Session& session, SheetDesk& desk, QWidget* parent);

 private:
  void update();

  Session& session_;
  SheetDesk& desk_;
  QLabel *name_, *facts_;
  NumberField *left_, *top_, *turn_, *copies_;
  QCheckBox *pinned_, *together_, *now_;
  QPushButton *room_, *fit_, *off_;
};

}  // namespace dotlane
