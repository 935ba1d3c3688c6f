// The machine's pace: how much longer than planned its passes really take, by role.
#pragma once

#include <QComboBox>

#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class PaceForm : public QWidget {
  Q_OBJECT
 public:
  PaceForm(Session& session, QWidget* parent);

 private:
  void update();
  [[nodiscard]] Role role() const;
  void edit(const std::function<void(Pace&)>& change);

  Session& session_;
  QComboBox* role_;
  NumberField *factor_, *spread_;
};

}  // namespace dotlane
