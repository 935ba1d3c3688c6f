// Passes: the pass picked in the lanes with its force, speed and repeats; the order; mirroring; the tool rack.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QLineEdit>
#include <QPushButton>

#include "app/panels/panel.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class PassesPanel : public Panel {
  Q_OBJECT
 public:
  PassesPanel(Session& session, QWidget* parent);
  void setPass(int index);

 signals:
  void passPicked(int index);

 private:
  void update();
  void updatePass();
  void updateOrder();
  void updateRack();
  void editSetting(const QString& label, const std::string& key, const std::function<void(Setting&)>& change);
  void editTool(const QString& label, const std::string& key, const std::function<void(Tool&)>& change);
  [[nodiscard]] const Pass* pass() const;

  Session& session_;
  int pass_ = 0;
  std::string tool_;  // shown in the editor
  QLabel* pass_text_;
  QWidget* pass_fields_;
  NumberField *force_, *speed_, *repeats_, *depth_;
  QCheckBox* mirror_;
  QVBoxLayout* order_;
  std::string order_shown_, rack_shown_;
  QVBoxLayout* rack_;
  QWidget* editor_;
  QLineEdit* name_;
  NumberField *tip_, *min_, *max_, *thickest_;
  QPushButton* ink_;
  std::vector<QCheckBox*> serves_;
};

}  // namespace dotlane
