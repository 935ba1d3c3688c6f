// Sheets: what lies on the mat, the stock it is, and the machine it goes into.
#pragma once

#include <QCheckBox>
#include <QComboBox>

#include <QPushButton>

#include "app/pack_run.hpp"
#include "app/panels/panel.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class SheetsPanel : public Panel {
  Q_OBJECT
 public:
  SheetsPanel(Session& session, QWidget* parent);

 private:
  void addPacking();
  void update();
  void showPacking();
  void editMachine(const QString& label, const std::string& key, const std::function<void(Machine&)>& change);

  Session& session_;
  PackRun packing_;
  QVBoxLayout* sheets_;
  QLabel* packed_;
  NumberField* gap_;
  QComboBox* turns_;
  QPushButton *pack_, *as_drawn_;
  std::string shape_;                           // of the list of sheets: rebuilt when it changes
  std::vector<std::function<void()>> refresh_;  // puts current values into the fields of the list
  QComboBox *mat_, *holders_;
  NumberField *border_, *rated_, *force_, *travel_, *accel_, *lift_, *landing_, *swap_;
};

}  // namespace dotlane
