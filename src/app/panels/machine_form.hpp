// The machine: its mat, its holders, how fast it is and what it is rated for.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QLineEdit>
#include <QWidget>

#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class MachineForm : public QWidget {
  Q_OBJECT
 public:
  MachineForm(Session& session, QWidget* parent);

 private:
  void update();
  void readRollers();
  void edit(const QString& label, const std::string& key, const std::function<void(Machine&)>& change);

  Session& session_;
  QComboBox *mat_, *holders_;
  NumberField *border_, *rated_, *force_, *travel_, *accel_, *lift_, *landing_, *swap_, *set_, *jerk_, *clears_,
      *reaches_, *roller_, *scale_x_, *scale_y_, *off_x_, *off_y_;
  QComboBox* tack_;
  QLineEdit* rollers_;
  QCheckBox *sets_depth_, *reads_marks_;
};

}  // namespace dotlane
