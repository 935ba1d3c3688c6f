// Calibration: which sheet, of which tool and stock; and what was read off it.
#pragma once

#include <QComboBox>
#include <QDialog>
#include <QFormLayout>
#include <QLabel>
#include <QPushButton>
#include <vector>

#include "app/practice/reading_picture.hpp"
#include "app/session.hpp"
#include "core/calibrate/calibration.hpp"

namespace dotlane {

class NumberField;

class CalibrateWindow : public QDialog {
  Q_OBJECT
 public:
  CalibrateWindow(Session& session, QWidget* parent);

 signals:
  void sheetAsked(const dotlane::Project& sheet);
  void taken(const dotlane::CalibrationOf& of, const dotlane::Readings& readings);

 private:
  void choose(Calibration kind);
  void fillBoxes();
  void showFields();
  /// What the boxes say.
  [[nodiscard]] Result<CalibrationOf> chosen() const;
  void openSheet();
  void take();
  void say(const QString& what, bool problem);
  /// What the project says now of what this sheet is about.
  [[nodiscard]] QString nowText(const CalibrationOf& of) const;

  Session& session_;
  Calibration kind_ = Calibration::tip_contact;
  std::vector<QPushButton*> kinds_;
  QLabel *title_, *about_, *now_, *said_, *tool_label_;
  QComboBox *tool_, *stock_;
  QFormLayout *boxes_, *fields_;
  ReadingPicture* picture_;
  QPushButton *open_, *take_;
  std::vector<NumberField*> shown_;
  Readings readings_;
};

}  // namespace dotlane
