// Passes: the pass picked in the lanes with its force, speed and repeats; the order of roles; mirroring; the rack.
#pragma once

#include <QCheckBox>
#include <QPushButton>

#include "app/log/advice_line.hpp"
#include "app/panels/panel.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class PassesPanel : public Panel {
  Q_OBJECT
 public:
  PassesPanel(Session& session, LogDesk& log, QWidget* parent);
  void setPass(int index);

 signals:
  void calibrationAsked();

 private:
  void update();
  void updatePass();
  [[nodiscard]] QString reasonsText(const Pass& now) const;
  void updateLeftOut();
  void updateOrder();
  void editSetting(const QString& label, const std::string& key, const std::function<void(Setting&)>& change);
  [[nodiscard]] const Pass* pass() const;

  Session& session_;
  AdviceLine* advice_;
  int pass_ = 0;
  QLabel* pass_text_;
  QWidget* pass_fields_;
  NumberField *force_, *speed_, *repeats_, *depth_;
  NumberField *tabs_, *tab_, *slow_radius_, *slow_;
  QCheckBox *mirror_, *outlines_last_, *now_;
  QVBoxLayout *left_out_, *order_;
  QLabel* why_;          // the pass comes where it does
  QPushButton* let_go_;  // of what was wished for it by hand
  QCheckBox* pin_;
  std::vector<std::string> left_out_shown_;
  std::string order_shown_;
};

}  // namespace dotlane
