// Second look: the findings, worst first, each with its figure, "show me" and fixes.
#pragma once

#include "app/panels/panel.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class SecondLook : public Panel {
  Q_OBJECT
 public:
  SecondLook(Session& session, QWidget* parent);

 signals:
  void showLines(const std::vector<dotlane::LineRef>& lines, std::optional<dotlane::Vec> at);

 private:
  void update();

  Session& session_;
  std::vector<Finding> shown_;
  bool filled_ = false;
  LengthUnit unit_ = LengthUnit::mm;  // that the cards are told in
  QVBoxLayout* cards_;
  NumberField *tiny_, *sliver_, *brush_, *bleed_;
};

}  // namespace dotlane
