// The machine's pace: how much longer than planned its passes really take, by role.
#pragma once

#include <QComboBox>
#include <QLabel>

#include "app/log/log_desk.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class PaceForm : public QWidget {
  Q_OBJECT
 public:
  PaceForm(Session& session, LogDesk& log, QWidget* parent);

 private:
  void update();
  [[nodiscard]] Role role() const;
  void edit(const std::function<void(Pace&)>& change);

  void learn();

  Session& session_;
  LogDesk& log_;
  QLabel* learned_;
  QComboBox* role_;
  NumberField *factor_, *spread_, *minute_;
};

}  // namespace dotlane
