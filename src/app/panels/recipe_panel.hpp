// The recipe of what is selected: its size, where it came from and stands, and what its lines are for.
#pragma once

#include <QComboBox>
#include <QPushButton>
#include <QToolButton>

#include "app/panels/panel.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class RecipePanel : public Panel {
  Q_OBJECT
 public:
  RecipePanel(Session& session, QWidget* parent);

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
  class RecipeLane* lane_;
  QWidget* piece_part_;
  QLabel* lines_heading_;
  std::vector<QPushButton*> role_chips_;
  QComboBox* tool_;
  NumberField* repeats_;
  QVBoxLayout* colors_;
  QPushButton* confirm_;
  std::string colors_shown_;
};

/// The vertical lane of dots, one for each step of the recipe.
class RecipeLane : public QWidget {
  Q_OBJECT
 public:
  struct Step {
    QString name, detail, figure;
  };
  explicit RecipeLane(QWidget* parent) : QWidget(parent) {}
  void setSteps(std::vector<Step> steps);
  [[nodiscard]] QSize sizeHint() const override { return {240, static_cast<int>(steps_.size()) * 44}; }
  [[nodiscard]] QSize minimumSizeHint() const override { return sizeHint(); }

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  std::vector<Step> steps_;
};

}  // namespace dotlane
