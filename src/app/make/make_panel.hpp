// The part that is looked for, how the figure is shown, in which order it grows, and the guide on paper.
#pragma once

#include <QComboBox>
#include <QPushButton>

#include "app/actions.hpp"
#include "app/make/make_desk.hpp"
#include "app/panels/panel.hpp"

namespace dotlane {

class MakePanel : public Panel {
  Q_OBJECT
 public:
  MakePanel(Session& session, MakeDesk& desk, QWidget* parent);
  /// The buttons that carry out actions.
  void useActions(Actions& actions);

 private:
  void update();

  Session& session_;
  MakeDesk& desk_;
  QWidget* card_;
  QLabel *name_, *facts_, *hint_, *nothing_;
  QPushButton *put_, *back_, *forth_;
  std::array<QPushButton*, 3> ways_{};
  QComboBox *order_, *numbers_;
  QVBoxLayout* paper_;
};

}  // namespace dotlane
