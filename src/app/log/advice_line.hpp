// What to set now, beside what is set: by what came of passes before, or from the shelf.
#pragma once

#include <QLabel>
#include <QPushButton>
#include <QWidget>

#include "app/log/force_curve_view.hpp"
#include "app/log/log_desk.hpp"
#include "app/session.hpp"

namespace dotlane {

class AdviceLine : public QWidget {
  Q_OBJECT
 public:
  AdviceLine(Session& session, LogDesk& desk, QWidget* parent);
  /// For this pass; null: none.
  void setPass(const Pass* pass);

 signals:
  void picked(double force_gf, double depth, int repeats);

 private:
  void show(const Advice& advice);
  void showCurve(const Pass& pass, const std::string& stock);
  Session& session_;
  LogDesk& desk_;
  QLabel *text_, *legend_;
  QPushButton* set_;
  QWidget* curve_box_;
  ForceCurveView* curve_;
  std::string asked_, curve_asked_;  // stock, tool and role; with depth and rounds
  double force_ = 0, depth_ = 0;
  int repeats_ = 1;
  std::optional<Advice> advice_;
};

}  // namespace dotlane
