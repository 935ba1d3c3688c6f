// Sheets: the figure, how its parts are laid out, what is chosen, the sheets and the shelf, the machine.
#pragma once

#include <QComboBox>
#include <QPushButton>

#include "app/panels/panel.hpp"
#include "app/sheets/pack_run.hpp"
#include "app/sheets/sheet_desk.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class ShelfCard;

class SheetsPanel : public Panel {
  Q_OBJECT
 public:
  SheetsPanel(Session& session, SheetDesk& desk, QWidget* parent);
  [[nodiscard]] ShelfCard& shelf() { return *shelf_; }
  /// Packs the parts as the panel says, unless that is under way.
  void pack();

 private:
  void addLaying();
  void addHands();
  void update();
  void showPacking();
  void workOutHands();

  Session& session_;
  SheetDesk& desk_;
  PackRun packing_;
  class PackBars* bars_;
  ShelfCard* shelf_;
  QLabel *packed_, *hands_text_;
  NumberField *gap_, *copies_, *bleed_;
  QComboBox *turns_, *hands_;
  QPushButton *pack_, *as_drawn_, *together_, *everything_;
  std::shared_ptr<const Derived> hands_of_;
};

}  // namespace dotlane
