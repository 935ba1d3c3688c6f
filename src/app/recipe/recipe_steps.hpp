// The recipe as a lane of stops: the source first, then every step, each with its figures and, when open, its values.
#pragma once

#include <QFormLayout>
#include <QLabel>
#include <QPushButton>
#include <QVBoxLayout>
#include <QWidget>

#include "app/fill/fill_panel.hpp"
#include "app/lettering/lettering_fields.hpp"
#include "app/recipe/crop_frame.hpp"
#include "app/session.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {

class RecipeSteps : public QWidget {
  Q_OBJECT
 public:
  RecipeSteps(Session& session, QWidget* parent);

  /// Lettering brings fields of its own.
  void useLettering(LetteringDesk desk) { desk_ = std::move(desk); }
  /// Shows the piece's recipe, or nothing for 0. Rows stay as they are while only figures and values change.
  void show(int piece);
  /// Opens the step's values; 0 is the source.
  void open(int step);

 signals:
  void refused(const QString& why);

 protected:
  void paintEvent(QPaintEvent* event) override;

 private:
  struct Stop {
    int step = 0;  // 0 = the source
    const KindSpec* kind = nullptr;
    QWidget* row = nullptr;
    QPushButton* head = nullptr;
    QLabel *detail = nullptr, *figure = nullptr, *trouble = nullptr;
    QWidget* values = nullptr;
    QFormLayout* form = nullptr;
    FillPanel* fill = nullptr;
    CropFrame* crop = nullptr;
    std::vector<std::pair<const ValueSpec*, QWidget*>> fields;
    bool on = true;
  };

  void rebuild(const Piece& piece);
  void addStop(const Piece& piece, const Step* step);
  void addFields(Stop& stop, const Piece& piece, const Values& values);
  void refresh(const Piece& piece, const DrawnPiece& drawn);
  /// What is kept of a traced picture changes; the drawing keeps its scale.
  void crop(const CropValues& crop);
  /// A colour of the picture is one of those it is traced in, or no longer.
  void pickColor(const QColor& color);
  void change(int step, const std::string& key, const Value& value);
  void showOpen();

  Session& session_;
  QVBoxLayout* column_;
  LetteringDesk desk_;
  int piece_ = 0, open_ = -1;
  std::string shown_;  // what the rows were built for
  std::vector<Stop> stops_;
};

}  // namespace dotlane
