// What a fill step shows above its values: the dial, the figures, what other angles would do, and the ways to go over
// it.
#pragma once

#include <QComboBox>
#include <QLabel>
#include <QPushButton>
#include <QTimer>
#include <QVBoxLayout>
#include <functional>
#include <memory>

#include "app/fill/angle_curve.hpp"
#include "app/fill/fill_dial.hpp"
#include "app/fill/landing_picture.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"
#include "core/plan/fill_figures.hpp"

namespace dotlane {

/// Figures are worked out aside a moment after the last change; what is no longer wanted is given up.
class FillPanel : public QWidget {
  Q_OBJECT
 public:
  FillPanel(Session& session, int piece, int step, QWidget* parent);
  ~FillPanel() override;

  /// Takes up what the project and its drawing are now.
  void follow();
  [[nodiscard]] const std::optional<FillFigures>& figures() const { return figures_; }
  /// Nothing waits to be worked out anew.
  [[nodiscard]] bool resting() const { return !timer_.isActive(); }
  [[nodiscard]] const AngleCurve& curve() const { return *curve_; }

 signals:
  void edited(const std::string& key, const Value& value);
  void committed();
  void refused(const QString& why);

 protected:
  void showEvent(QShowEvent* event) override;

 private:
  [[nodiscard]] std::optional<FillSubject> subject() const;
  /// The colour of the marks, and of the stock they are on.
  [[nodiscard]] std::pair<QColor, QColor> colors(const FillSubject& subject) const;
  void buildFigures(QVBoxLayout* column);
  void buildAdvice(QVBoxLayout* column);
  void showFigures();
  void work();
  /// Tries every angle aside; then turns to the best when `turn`.
  void tryAngles(bool turn);
  void turnToBest();
  void turnTo(double angle_on_piece);
  void widen();
  void compare();
  void showWays(const std::vector<WayChoice>& ways, const FillSubject& subject);
  void use(const WayChoice& way);
  /// Runs `work` aside with a flag that turns true once it is no longer wanted, then `done` here.
  template <class Result>
  void aside(std::shared_ptr<std::atomic<bool>>& stop, std::function<Result(const std::atomic<bool>&)> work,
             std::function<void(Result)> done);

  Session& session_;
  int piece_, step_;
  FillDial* dial_;
  QLabel *covered_, *time_, *time_label_, *lifts_, *length_, *gap_;
  QComboBox* goal_;
  QPushButton *best_, *widest_, *compare_;
  NumberField* wanted_;
  AngleCurve* curve_;
  QWidget* ways_;
  LandingPicture* picture_;
  QTimer timer_;
  std::optional<FillFigures> figures_;
  std::shared_ptr<const FillMade> shown_, tried_;  // what the figures and the curve were worked out for
  std::shared_ptr<const FillMade> compared_;       // what the ways shown go over
  FillRun shown_run_, tried_run_;
  double turned_ = 0;  // what is added to an angle on the piece to get the step's own
  std::shared_ptr<std::atomic<bool>> figures_stop_, curve_stop_, widest_stop_, ways_stop_;
};

}  // namespace dotlane
