#include "app/fill/landing_picture.hpp"

#include <QPainter>
#include <QPainterPath>

#include "app/style.hpp"

namespace dotlane {
namespace {

constexpr int kPictureHeight = 92;
constexpr double kTipsAcross = 26;  // how wide the look is, in tips

}  // namespace

LandingPicture::LandingPicture(QWidget* parent) : QWidget(parent) {
  setFixedHeight(kPictureHeight);
  setObjectName(QStringLiteral("landingPicture"));
  setAccessibleName(tr("The fill as it may fall"));
  setToolTip(tr("One throw of the dice: every stroke a little off where the tool landed"));
}

void LandingPicture::show(Region region, std::vector<Strokes> fallen, Vec at, double tip_mm, const QColor& ink,
                          const QColor& ground) {
  region_ = std::move(region), fallen_ = std::move(fallen), at_ = at;
  tip_mm_ = tip_mm, ink_ = ink, ground_ = ground;
  update();
}

void LandingPicture::paintEvent(QPaintEvent*) {
  const Theme& t = theme();
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  QPainterPath frame;
  frame.addRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 6, 6);
  p.fillPath(frame, ground_);
  p.save();
  p.setClipPath(frame);
  const double scale = width() / (kTipsAcross * tip_mm_);
  auto px = [&](Vec v) { return QPointF(width() / 2.0, height() / 2.0) + QPointF(v.x - at_.x, v.y - at_.y) * scale; };
  const Box seen = Box{at_.x, at_.y, at_.x, at_.y}.grown((width() / scale + tip_mm_) / 2 + tip_mm_);
  QPen pen(ink_, tip_mm_ * scale);
  pen.setCapStyle(Qt::RoundCap);
  pen.setJoinStyle(Qt::RoundJoin);
  p.setPen(pen);
  for (const auto& coat : fallen_) {
    for (std::size_t i = 0; i < coat.size(); ++i) {
      Box box;
      for (const Vec v : coat[i]) box.add(v);
      if (!box.overlaps(seen)) continue;
      QPolygonF line;
      for (const Vec v : coat[i]) line.append(px(v));
      line.size() == 1 ? p.drawPoint(line.first()) : p.drawPolyline(line);
    }
  }
  // The edge of what is filled.
  p.setPen(QPen(t.accent, 1));
  for (const auto& ring : region_.rings) {
    QPolygonF line;
    for (const Vec v : ring) line.append(px(v));
    p.drawPolygon(line);
  }
  p.restore();
  p.setPen(QPen(t.hairline, 1));
  p.drawPath(frame);
}

}  // namespace dotlane
