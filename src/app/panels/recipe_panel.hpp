// The recipe of what is selected: its size, where it came from and stands, and what its lines are for.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QPushButton>
#include <QToolButton>

#include "app/actions.hpp"
#include "app/panels/held_list.hpp"
#include "app/panels/line_figures.hpp"
#include "app/panels/panel.hpp"
#include "app/recipe/recipe_steps.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class RecipePanel : public Panel {
  Q_OBJECT
 public:
  RecipePanel(Session& session, QWidget* parent);
  /// The button that adds steps, and those that combine and align, carry these actions.
  void addMenus(const Actions& actions);
  void useLettering(LetteringDesk desk) { steps_->useLettering(std::move(desk)); }
  /// Opens the values of a step; 0 is the source.
  void openStep(int step) { steps_->open(step); }

 signals:
  void refused(const QString& why);

 private:
  void update();
  void updatePiece(const Piece& piece, const Box& bounds);
  void updateLines();
  void resize(bool width, double mm);
  void place(bool x, double mm);

  Session& session_;
  QWidget* empty_;
  QWidget* content_;
  NumberField *width_, *height_, *x_, *y_, *turn_;
  QToolButton* lock_;
  QComboBox* stock_;
  RecipeSteps* steps_;
  HeldList* held_;
  QPushButton* add_step_;
  QPushButton* freeze_;
  QWidget* together_;
  QWidget* piece_part_;
  QLabel* lines_heading_;
  LineFigureLabel* line_figures_;
  std::vector<QPushButton*> role_chips_;
  QComboBox* tool_;
  NumberField* repeats_;
  QCheckBox* by_stroke_;
  QLabel* raised_name_;
  NumberField* raised_;
  QCheckBox* scale_steps_;
  QVBoxLayout* colors_;
  QPushButton* confirm_;
  std::string colors_shown_;
};

}  // namespace dotlane
