// Sheets: what lies on the mat, the stock it is, and the machine it goes into.
#pragma once

#include <QCheckBox>
#include <QComboBox>

#include "app/panels/panel.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class SheetsPanel : public Panel {
  Q_OBJECT
 public:
  SheetsPanel(Session& session, QWidget* parent);

 private:
  void update();
  void editMachine(const QString& label, const std::string& key, const std::function<void(Machine&)>& change);

  Session& session_;
  QVBoxLayout* sheets_;
  std::string shape_;                           // of the list of sheets: rebuilt when it changes
  std::vector<std::function<void()>> refresh_;  // puts current values into the fields of the list
  QComboBox *mat_, *holders_;
  NumberField *border_, *rated_, *force_, *travel_, *accel_, *lift_, *landing_, *swap_;
};

}  // namespace dotlane
