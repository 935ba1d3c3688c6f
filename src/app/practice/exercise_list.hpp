// The exercises in a row, with those that are passed.
#pragma once

#include <QDialog>

#include "core/trainer/exercise.hpp"

namespace dotlane {

/// Whether somebody has passed it here.
[[nodiscard]] bool passed_before(const Exercise& exercise);
void keep_passed(const Exercise& exercise);

class ExerciseList : public QDialog {
  Q_OBJECT
 public:
  explicit ExerciseList(QWidget* parent);

 signals:
  void picked(const QString& id);
};

}  // namespace dotlane
