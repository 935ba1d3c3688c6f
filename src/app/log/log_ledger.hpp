// Left of the Log stage: which runs are shown, and whether a season or what worked.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QWidget>

#include "app/log/log_desk.hpp"

namespace dotlane {

class LogLedger : public QWidget {
  Q_OBJECT
 public:
  LogLedger(LogDesk& desk, QWidget* parent);
  [[nodiscard]] bool worked() const { return worked_->isChecked(); }

 signals:
  void wayPicked(bool worked);

 private:
  void fill();
  void filter();
  LogDesk& desk_;
  QPushButton *season_, *worked_;
  QComboBox *stock_, *tool_, *project_, *out_;
  QCheckBox* real_;
  QLabel* count_;
  bool filling_ = false;
};

}  // namespace dotlane
