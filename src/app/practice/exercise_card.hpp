// The exercise that is open: what is asked, and after each run what of it is reached.
#pragma once

#include <QFrame>
#include <QVBoxLayout>
#include <functional>

#include "core/trainer/verdict.hpp"

namespace dotlane {

class ExerciseCard : public QFrame {
  Q_OBJECT
 public:
  explicit ExerciseCard(QWidget* parent);
  /// Nothing: no exercise is open, and nothing shows.
  void show(const Exercise* exercise);
  void showVerdict(const Verdict& verdict);
  /// The last verdict was on something else than what is there now.
  void forgetVerdict();

 signals:
  void left();
  void nextAsked(const QString& id);

 private:
  void build();
  const Exercise* exercise_ = nullptr;
  Verdict verdict_;
  bool hint_ = false;
  QVBoxLayout* column_;
};

}  // namespace dotlane
