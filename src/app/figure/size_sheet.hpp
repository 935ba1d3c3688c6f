// How big? A window with sheets against size, and the largest for so many sheets.
#pragma once

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QPushButton>
#include <atomic>
#include <functional>
#include <memory>

#include "app/session.hpp"
#include "core/layout/size_curve.hpp"

namespace dotlane {

class SizeChart;
class NumberField;

class SizeSheet : public QDialog {
  Q_OBJECT
 public:
  SizeSheet(Session& session, QWidget* parent);
  ~SizeSheet() override;

 signals:
  /// The figure is to have so large a share of its size, its lower layers trimmed or not; asked of this project.
  void sizeAsked(const Project& asked, double scale, bool trimmed);

 private:
  /// Runs work off the interface thread; it tells what came of it to the window, as long as that is there.
  using Tell = std::function<void(std::function<void(SizeSheet&)>)>;
  void aside(std::function<void(const Tell&)> work);
  void workOut();
  void add(std::size_t school, const SizePoint& point);
  void showSchool();
  void choose(double scale);
  void chooseFor(std::size_t sheets);
  void say();
  [[nodiscard]] const School* school() const;

  Session& session_;
  Project asked_;
  QComboBox* schools_box_;
  SizeChart* chart_;
  QLabel *answer_, *sheets_text_;
  NumberField* sheets_;
  QPushButton* size_;
  std::shared_ptr<const std::vector<School>> schools_;
  std::vector<std::vector<SizePoint>> points_;  // of each school
  double chosen_ = 0;
  bool trying_ = false;               // sizes for so many sheets
  std::optional<std::size_t> typed_;  // so many sheets, until that is committed
  std::shared_ptr<std::atomic<bool>> stop_ = std::make_shared<std::atomic<bool>>(false);
};

}  // namespace dotlane
