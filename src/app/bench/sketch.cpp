#include "app/bench/sketch.hpp"

#include <QCoreApplication>
#include <QLocale>
#include <numbers>

#include "app/bench/overlay.hpp"
#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

constexpr double kStepPx = 2;   // between places of a stroke
constexpr double kClosePx = 8;  // how near the first place closes a line

QString words(const char* text) { return QCoreApplication::translate("Bench", text); }

/// Length and angle from one place to another, as people read them: counter-clockwise from the right.
QString course_text(Vec from, Vec to, LengthUnit unit) {
  const Vec d = to - from;
  double degrees = norm(d) > 0 ? -std::atan2(d.y, d.x) * 180 / std::numbers::pi : 0;
  if (std::abs(degrees) < 0.05) degrees = 0;
  return length_text(norm(d), unit) + QStringLiteral("  ·  ") + QLocale().toString(degrees, 'f', 1) +
         QStringLiteral("°");
}

}  // namespace

void Sketch::begin(What what) {
  what_ = what;
  places_.clear();
  moved_ = laid_ = false;
}

bool Sketch::drags() const { return what_ == What::loop || what_ == What::erase || what_ == What::freehand; }
bool Sketch::meets() const { return active() && !drags(); }

void Sketch::finish(bool closed) {
  const auto places = std::exchange(places_, {});
  moved_ = false;
  if (done && places.size() > 1) done(what_, places, closed);
}

void Sketch::press(Vec at, double px_per_mm) {
  now_ = at;
  moved_ = false;
  if (drags()) {
    places_ = {at};
    return;
  }
  if (what_ == What::tape && std::exchange(laid_, false)) places_.clear();
  if (what_ == What::polyline && places_.size() > 2 && distance(places_.front(), at) * px_per_mm < kClosePx)
    return finish(true);
  places_.push_back(at);
}

void Sketch::move(Vec at, bool down, double px_per_mm) {
  now_ = at;
  if (!down) return;
  if (!places_.empty() && distance(places_.back(), at) * px_per_mm > 4) moved_ = true;
  if (drags() && !places_.empty() && distance(places_.back(), at) * px_per_mm >= kStepPx) places_.push_back(at);
}

void Sketch::release(Vec at, double px_per_mm) {
  now_ = at;
  if (places_.empty()) return;
  if (drags()) {
    if (distance(places_.back(), at) > 0) places_.push_back(at);
    return finish(false);
  }
  if (what_ == What::polyline) return;
  // Two places, by dragging from one to the other or by a click on each.
  if (moved_ && places_.size() == 1 && distance(places_.back(), at) * px_per_mm > 4) places_.push_back(at);
  if (places_.size() < 2) return;
  if (what_ == What::tape) {
    laid_ = true;
  } else {
    finish(false);
  }
}

void Sketch::doubleClick() {
  if (what_ == What::polyline && places_.size() > 1) finish(false);
}

bool Sketch::key(const QKeyEvent& event) {
  if (!active()) return false;
  switch (event.key()) {
    case Qt::Key_Escape:
      if (places_.empty()) {
        end();
      } else {
        places_.clear(), laid_ = false;
      }
      return true;
    case Qt::Key_Return:
    case Qt::Key_Enter:
      if (what_ == What::polyline) finish(false);
      return true;
    case Qt::Key_Backspace:
      if (!places_.empty()) places_.pop_back(), laid_ = false;
      return true;
    default:
      return false;
  }
}

std::optional<std::pair<Vec, Vec>> Sketch::tape() const {
  if (what_ != What::tape || places_.empty()) return std::nullopt;
  return std::pair(places_.front(), laid_ ? places_.back() : now_);
}

void Sketch::paint(QPainter& p, const View& view, LengthUnit unit, const QRectF& canvas) const {
  if (!active()) return;
  p.setRenderHint(QPainter::Antialiasing);
  const QColor color = what_ == What::erase || what_ == What::split ? theme().serious : theme().hands;
  QPolygonF line;
  for (const Vec q : places_) line.append(view.to_px(q));
  if (places_.empty()) return;
  if (!drags() && !laid_) line.append(view.to_px(now_));
  if (what_ == What::loop || what_ == What::erase) {
    QColor wash = color;
    wash.setAlpha(36);
    p.setBrush(wash);
    p.setPen(QPen(color, 1.4, Qt::DashLine));
    p.drawPolygon(line);
    return;
  }
  p.setBrush(Qt::NoBrush);
  p.setPen(QPen(color, 1.6, what_ == What::fold || what_ == What::split ? Qt::DashLine : Qt::SolidLine));
  p.drawPolyline(line);
  if (what_ == What::freehand) return;
  p.setBrush(theme().dark ? theme().ground : QColor(Qt::white));
  for (const QPointF& at : line) p.drawEllipse(at, 3, 3);
  const Vec from = laid_ ? places_.front() : places_.back(), to = laid_ ? places_.back() : now_;
  paint_pill(p, course_text(from, to, unit), (view.to_px(from) + view.to_px(to)) / 2 + QPointF(0, -20), canvas);
}

QString Sketch::hint() const {
  switch (what_) {
    case What::none:
      return {};
    case What::loop:
      return words("Draw a loop around what to select; T: %1. Esc ends.");
    case What::erase:
      return words("Draw a loop around what to erase. Esc ends.");
    case What::split:
      return words("Draw the line to cut along, across what is cut. Esc ends.");
    case What::straight:
      return words("Drag a straight line, or click both of its ends. Esc ends.");
    case What::polyline:
      return words("Click corner after corner; Enter ends the line, its first corner closes it. Esc gives up.");
    case What::freehand:
      return words("Draw; the line becomes smooth. Esc ends.");
    case What::fold:
      return words("Draw along the fold: it runs from edge to edge. Esc ends.");
    case What::tape:
      return words("Click two places to measure between them. Esc ends.");
  }
  return {};
}

}  // namespace dotlane
