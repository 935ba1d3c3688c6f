#include "app/sheets/figure_view.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>

#include "app/style.hpp"
#include "app/units.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostSegments = 60'000;  // a figure of more is shown by its parts alone
constexpr double kThinPx = 0.3;

QPainterPath path_of(const Part& part, const View& view) {
  QPainterPath out;
  out.setFillRule(Qt::OddEvenFill);
  const Region body = part.body();
  if (body.empty()) out.addRect(view.to_px(part.reach));
  for (const auto& whole : body.rings) {
    QPolygonF pixels;
    for (const Vec q : thinned(whole, kThinPx / view.px_per_mm)) pixels.append(view.to_px(q));
    out.addPolygon(pixels);
    out.closeSubpath();
  }
  return out;
}

}  // namespace

FigureView::FigureView(Session& session, SheetDesk& desk, QWidget* parent)
    : QWidget(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("figureView"));
  setAccessibleName(tr("The figure"));
  setMouseTracking(true);
  setMinimumHeight(208);
  connect(&desk_, &SheetDesk::changed, this, qOverload<>(&QWidget::update));
}

View FigureView::view() const {
  const Box box = desk_.shown()->drawing.bounds();
  return View::fitting(box.empty() ? Box::of(0, 0, 1, 1) : box, QRectF(rect()).adjusted(0, 10, 0, 0), 22);
}

void FigureView::paintEvent(QPaintEvent*) {
  const Theme& t = theme();
  const auto derived = desk_.shown();
  const QSize wanted = size() * devicePixelRatioF();
  if (of_ != derived || picture_.size() != wanted || dark_ != t.dark) {
    of_ = derived, dark_ = t.dark;
    picture_ = QPixmap(wanted);
    picture_.setDevicePixelRatio(devicePixelRatioF());
    picture_.fill(Qt::transparent);
    QPainter q(&picture_);
    q.setRenderHint(QPainter::Antialiasing);
    q.setPen(QPen(t.hairline, 1));
    q.setBrush(t.field);
    q.drawRoundedRect(QRectF(rect()).adjusted(0.5, 0.5, -0.5, -0.5), 8, 8);
    if (derived->drawing.segments() <= kMostSegments) {
      LineOptions how;
      how.stacked = true, how.hidden = false;
      paint_lines(q, view(), derived->project, derived->drawing, t, how);
    } else {
      for (auto part = derived->layout.parts.rbegin(); part != derived->layout.parts.rend(); ++part) {
        const Stock* stock = find_stock(derived->project, part->stock);
        q.setPen(QPen(t.quiet, 0.6));
        q.setBrush(to_qcolor(stock ? stock->color : Color{255, 255, 255}));
        q.drawPath(path_of(*part, view()));
      }
    }
  }
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.drawPixmap(0, 0, picture_);
  std::vector<std::size_t> lit = desk_.chosen();
  if (desk_.hovered()) lit.push_back(*desk_.hovered());
  for (const std::size_t k : lit) {
    const bool hovered = desk_.hovered() == k;
    QColor fill = t.accent;
    fill.setAlpha(hovered ? 110 : 60);
    p.setPen(QPen(t.accent, 2));
    p.setBrush(fill);
    p.drawPath(path_of(derived->layout.parts[derived->layout.laid[k].part], view()));
  }
  if (lit.empty()) return;
  const std::size_t k = lit.back();
  const LaidPart& laid = derived->layout.laid[k];
  const Part& part = derived->layout.parts[laid.part];
  p.setFont(ui_font(12, true));
  p.setPen(t.accent);
  p.drawText(QRectF(10, 5, width() - 20, 18), Qt::AlignLeft | Qt::AlignVCenter,
             p.fontMetrics().elidedText(QStringLiteral("%1 %2").arg(part.number).arg(desk_.name_of(k)), Qt::ElideRight,
                                        width() - 90));
  p.setFont(ui_font(11.5));
  p.setPen(t.quiet);
  p.drawText(QRectF(10, 5, width() - 20, 18), Qt::AlignRight | Qt::AlignVCenter,
             laid.sheet == 0 ? tr("waits") : tr("sheet %1").arg(desk_.number_of(laid.sheet)));
}

std::optional<std::size_t> FigureView::part_at(QPointF at) const {
  const auto& layout = desk_.shown()->layout;
  const View now = view();
  const Vec mm = now.to_mm(at);
  for (std::size_t k = 0; k < layout.laid.size(); ++k) {  // top layer first
    const Part& part = layout.parts[layout.laid[k].part];
    if (layout.laid[k].copy == 1 && part.reach.contains(mm) && path_of(part, now).contains(at)) return k;
  }
  return std::nullopt;
}

void FigureView::mouseMoveEvent(QMouseEvent* event) { desk_.hover(part_at(event->position())); }

void FigureView::mousePressEvent(QMouseEvent* event) {
  const auto part = part_at(event->position());
  desk_.choose(part ? std::vector<std::size_t>{*part} : std::vector<std::size_t>{});
}

void FigureView::leaveEvent(QEvent*) { desk_.hover(std::nullopt); }

}  // namespace dotlane
