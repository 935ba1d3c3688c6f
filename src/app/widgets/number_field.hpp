// A number with its unit that reads like a value until it is touched.
#pragma once

#include <QLabel>
#include <QLineEdit>
#include <QTimer>
#include <QWidget>
#include <functional>
#include <optional>

#include "core/project/project.hpp"

namespace dotlane {

class NumberField : public QWidget {
  Q_OBJECT
 public:
  enum class Kind { length, plain };
  /// A length follows the project's unit, with `unit` after that ("/s" makes it a speed); a plain number has `unit`
  /// behind it ("gf", ""). Decimals in mm: 1 for lengths, none for plain numbers unless said otherwise.
  NumberField(const QString& name, Kind kind, QWidget* parent, const QString& unit = {}, int decimals = -1);

  void setRange(double low, double high) { low_ = low, high_ = high; }
  /// Shows the value (mm for lengths) unless the user is typing here.
  void setValue(double value, LengthUnit unit = LengthUnit::mm);
  [[nodiscard]] double value() const { return value_; }
  [[nodiscard]] QLineEdit* editor() const { return edit_; }
  /// Larger type, for figures that matter.
  void setFigure();
  /// Zero reads as these words and may be typed as them.
  void setZero(const QString& words) { zero_ = words; }

 signals:
  /// While typing and on arrow keys: the value so far.
  void edited(double value);
  /// Enter, or the field was left.
  void committed();

 protected:
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  /// What is typed, if it may stand there; else `hint` says why not.
  [[nodiscard]] std::optional<double> parsed(QString& hint) const;
  [[nodiscard]] QString shown(double value) const;
  /// Number and unit as they read now.
  void render();
  /// By an arrow key.
  [[nodiscard]] double step() const;
  void markWrong(bool wrong);
  void showHint();
  /// Dragging the unit sideways changes the number.
  bool dragUnit(QEvent* event);

  Kind kind_;
  QString unit_text_;
  int decimals_;
  LengthUnit unit_ = LengthUnit::mm;
  double value_ = 0, low_ = 0, high_ = 1e6;
  std::optional<double> drag_from_;
  QLineEdit* edit_;
  QLabel* unit_label_;
  QString zero_, hint_;
  QTimer hint_later_;
};

}  // namespace dotlane
