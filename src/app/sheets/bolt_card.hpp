// By the bolt: how long a piece of each stock off a bolt or roll to buy for so many.
#pragma once

#include <QLabel>
#include <QPushButton>
#include <QWidget>

#include "app/sheets/sheet_desk.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class BoltCard : public QWidget {
  Q_OBJECT
 public:
  BoltCard(Session& session, SheetDesk& desk, QWidget* parent);

 private:
  void update();
  void workOut();

  Session& session_;
  SheetDesk& desk_;
  NumberField *wide_, *copies_, *layers_, *web_;
  QPushButton* button_;
  QLabel* text_;
  std::shared_ptr<const Derived> for_;  // what the text speaks of
};

}  // namespace dotlane
