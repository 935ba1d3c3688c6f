// By the bolt: how long a piece of each stock off a bolt or roll to buy for so many.
#pragma once

#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <atomic>
#include <memory>

#include "app/sheets/sheet_desk.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class BoltCard : public QWidget {
  Q_OBJECT
 public:
  BoltCard(Session& session, SheetDesk& desk, QWidget* parent);
  ~BoltCard() override;

 private:
  void update();
  void stop();
  void workOut();

  Session& session_;
  SheetDesk& desk_;
  NumberField *wide_, *copies_, *layers_, *web_;
  QPushButton* button_;
  QLabel* text_;
  std::shared_ptr<const Derived> for_;       // what the text speaks of
  std::shared_ptr<std::atomic<bool>> stop_;  // while it is worked out: set, it is given up
};

}  // namespace dotlane
