#include "app/make/guide_view.hpp"

#include <QMouseEvent>
#include <QPainter>
#include <algorithm>

#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

constexpr double kHead = 46, kMargin = 16, kRoomForNumber = 15;  // px

bool same(const std::optional<AssemblyGuide::Page>& a, const std::optional<AssemblyGuide::Page>& b) {
  return a.has_value() == b.has_value() && (!a || (a->what == b->what && a->index == b->index));
}

}  // namespace

GuideView::GuideView(MakeDesk& desk, Side side, QWidget* parent) : Table(parent), desk_(desk), side_(side) {
  const bool figure = side == Side::figure;
  setObjectName(figure ? QStringLiteral("makeFigure") : QStringLiteral("makeSheet"));
  setAccessibleName(figure ? tr("The figure as far as it has come") : tr("The sheet of the part that is looked for"));
  setAccessibleDescription(tr("Arrow keys go from part to part, Return says that it is in its place."));
  setAcceptDrops(false);
  setMinimumSize(160, 140);
  connect(&desk_, &MakeDesk::changed, this, &GuideView::follow);
}

void GuideView::follow() {
  const auto now = page();
  // Another sheet, or another kind of picture, is another place to look at.
  const bool elsewhere = !same(now, page_) && (!now || !page_ || now->what != page_->what || side_ == Side::sheet ||
                                               now->what == AssemblyGuide::Page::What::face_down);
  const bool anew = shown_ != desk_.made() || !same(now, page_);
  shown_ = desk_.made(), page_ = now;
  if (elsewhere || (anew && fitted_)) return zoomToFit();
  anew ? viewChanged() : update();
}

std::optional<AssemblyGuide::Page> GuideView::page() const {
  if (!desk_.made()) return {};
  return side_ == Side::figure ? std::optional(desk_.figurePage()) : desk_.sheetPage();
}

void GuideView::zoomToFit() {
  fitted_ = true;
  const QRectF room = QRectF(rect()).adjusted(0, kHead, 0, 0);
  const Box box = shown_ && page_ ? shown_->guide.shown(*page_) : Box{};
  setView(View::fitting(box.empty() ? Box::of(0, 0, 100, 100) : box, room, kMargin));
}

void GuideView::resizeEvent(QResizeEvent* event) {
  Table::resizeEvent(event);
  if (fitted_) zoomToFit();
}

std::vector<std::size_t> GuideView::numbered() const {
  std::vector<std::size_t> out;
  if (!shown_ || !page_) return out;
  if (side_ == Side::sheet) {
    for (std::size_t k = 0; k < shown_->derived->layout.laid.size(); ++k) {
      if (shown_->guide.placed(k, *page_)) out.push_back(k);
    }
    return out;
  }
  // Copies lie on each other in the figure: the one looked for stands for its part, else the first.
  std::vector<std::size_t> own;
  for (std::size_t s = 0; s < desk_.steps().size(); ++s) {
    if (s != desk_.step() && page_->what != AssemblyGuide::Page::What::exploded) continue;
    const auto copies = desk_.copiesOf(s);
    own.insert(own.end(), copies.begin(), copies.end());
  }
  const auto stands = [&](std::size_t k) {
    const auto& laid = shown_->derived->layout.laid;
    const bool wanted = desk_.wanted() && laid[*desk_.wanted()].part == laid[k].part;
    return wanted ? *desk_.wanted() == k : laid[k].copy == 1;
  };
  std::erase_if(own, [&](std::size_t k) { return !stands(k); });
  return own;
}

QTransform GuideView::onto(const Affine& map) const {
  const Affine all = view_.onto_pixels() * map;
  return {all.a, all.b, all.c, all.d, all.e, all.f};
}

QPainterPath GuideView::outline(std::size_t laid) const {
  const auto map = shown_->guide.placed(laid, *page_);
  return map ? onto(*map).map(shown_->bodies[shown_->derived->layout.laid[laid].part]) : QPainterPath();
}

std::optional<QPointF> GuideView::number(std::size_t laid) const {
  if (!shown_ || !page_) return {};
  const auto map = shown_->guide.placed(laid, *page_);
  if (!map) return {};
  return view_.to_px((*map)(shown_->numbers[shown_->derived->layout.laid[laid].part]));
}

void GuideView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  const Theme& t = theme();
  p.fillRect(rect(), t.ground);
  if (!shown_ || !page_) {
    if (side_ == Side::sheet && shown_) paintCaption(p);
    return;
  }
  art_->paint(p, view_, size(), devicePixelRatioF(), [this] {
    return Art{shown_->derived->drawing.segments(),
               [made = shown_, page = *page_, &look = theme()](QPainter& q, const View& view, const QRectF& clip,
                                                               const std::atomic<bool>* stop) {
                 AssemblyGuide::How how;
                 how.numbered = false, how.clip = clip, how.stop = stop, how.theme = &look;
                 made->guide.paint(q, view, page, how);
               }};
  });
  p.setRenderHint(QPainter::Antialiasing);
  const auto all = numbered();
  const auto& layout = shown_->derived->layout;
  for (const std::size_t k : all) {
    const bool wanted = desk_.wanted() == k, hovered = desk_.hovered() == k, placed = desk_.isInPlace(k);
    if (!wanted && !hovered && !placed && side_ == Side::sheet) continue;
    const QPainterPath path = outline(k);
    if (placed && side_ == Side::sheet) {  // gone from the sheet
      QColor gone = t.ground;
      gone.setAlpha(wanted ? 120 : 215);
      p.setPen(Qt::NoPen);
      p.setBrush(gone);
      p.drawPath(path);
    }
    p.setBrush(Qt::NoBrush);
    if (!wanted && !hovered) {
      QPen rest(t.accent, 1.2);
      if (!placed && page_->what != AssemblyGuide::Page::What::exploded) p.setPen(rest), p.drawPath(path);
      continue;
    }
    QColor fill = t.accent;
    fill.setAlpha(side_ == Side::figure ? 40 : wanted ? 90 : 45);
    p.setBrush(fill);
    p.setPen(QPen(QColor(255, 255, 255, 200), wanted ? 5.5 : 4));  // so that it stands out on dark card
    p.drawPath(path);
    p.setBrush(Qt::NoBrush);
    p.setPen(QPen(t.accent, wanted ? 2.6 : 1.8));
    p.drawPath(path);
  }
  for (const std::size_t k : all) {
    const bool lit = desk_.wanted() == k || desk_.hovered() == k;
    const auto at = number(k);
    if (!at) continue;
    const QRectF box =
        onto(*shown_->guide.placed(k, *page_)).mapRect(shown_->bodies[layout.laid[k].part].boundingRect());
    if (!lit && std::min(box.width(), box.height()) < kRoomForNumber) continue;
    if (!QRectF(rect()).contains(*at)) continue;
    paint_part_number(p, *at, layout.parts[layout.laid[k].part].number, lit, t);
  }
  paintCaption(p);
  paintFocusRing(p);
}

void GuideView::paintCaption(QPainter& p) const {
  const Theme& t = theme();
  QColor ground = t.ground;
  ground.setAlpha(225);
  p.fillRect(QRectF(0, 0, width(), kHead - 4), ground);
  QString head, rest;
  if (side_ == Side::figure) {
    if (desk_.step() == npos) {
      head = tr("Nothing to put together");
      rest = tr("There is no part that is cut out.");
    } else {
      head = shown_->guide.heading(*page_);
      const auto all = desk_.copiesOf(desk_.step());
      const std::size_t done = desk_.inPlaceOf(desk_.step());
      rest = all.size() > 1 ? tr("%1 of %2 parts in place").arg(done).arg(all.size())
             : done == 1    ? tr("in place")
                            : tr("not in place yet");
    }
  } else if (page_) {
    head = shown_->guide.heading(*page_);
    const auto all = numbered();
    const auto left = std::count_if(all.begin(), all.end(), [&](std::size_t k) { return !desk_.isInPlace(k); });
    rest = left == 0 ? tr("nothing left on it")
                     : tr("%1 still on it").arg(counted(static_cast<std::size_t>(left), tr("part"), tr("parts")));
  } else if (desk_.wanted()) {
    head = tr("On no sheet yet");
    rest = tr("Find a place for it at Sheets.");
  }
  const double room = width() - 2 * kMargin;
  p.setFont(ui_font(14, true));
  p.setPen(t.ink);
  p.drawText(QRectF(kMargin, 6, room, 20), Qt::AlignVCenter,
             p.fontMetrics().elidedText(head, Qt::ElideRight, static_cast<int>(room)));
  p.setFont(ui_font(12));
  p.setPen(t.quiet);
  p.drawText(QRectF(kMargin, 24, room, 18), Qt::AlignVCenter,
             p.fontMetrics().elidedText(rest, Qt::ElideRight, static_cast<int>(room)));
}

bool GuideView::covers(std::size_t laid, QPointF at) const {
  const auto map = shown_->guide.placed(laid, *page_);
  if (!map) return false;
  const Vec mm = map->inverse()(view_.to_mm(at));
  return shown_->bodies[shown_->derived->layout.laid[laid].part].contains(QPointF(mm.x, mm.y));
}

std::optional<std::size_t> GuideView::part_at(QPointF at) const {
  if (!shown_ || !page_) return {};
  for (const std::size_t k : numbered()) {
    if (covers(k, at)) return k;
  }
  if (side_ == Side::sheet) return {};
  // A part of another step: what lies on top there.
  const auto& laid = shown_->derived->layout.laid;
  for (std::size_t k = 0; k < laid.size(); ++k) {
    if (laid[k].copy == 1 && covers(k, at)) return k;
  }
  return {};
}

void GuideView::mousePressEvent(QMouseEvent* event) {
  setFocus(Qt::MouseFocusReason);
  if (pressed(event) || event->button() != Qt::LeftButton) return;
  if (const auto part = part_at(event->position())) desk_.lookFor(*part);
}

void GuideView::mouseMoveEvent(QMouseEvent* event) {
  if (dragged(event, false)) return;
  const auto part = part_at(event->position());
  desk_.hover(part);
  if (!space_) setCursor(part ? Qt::PointingHandCursor : Qt::ArrowCursor);
}

void GuideView::mouseReleaseEvent(QMouseEvent*) { (void)released(); }

void GuideView::leaveEvent(QEvent*) { desk_.hover(std::nullopt); }

void GuideView::changeEvent(QEvent* event) {
  if (event->type() == QEvent::StyleChange || event->type() == QEvent::PaletteChange) viewChanged();
  Table::changeEvent(event);
}

void GuideView::nudge(double dx, double dy) { desk_.move(dx + dy > 0 ? 1 : -1); }

void GuideView::escape() { desk_.setShow(MakeDesk::Show::together); }

}  // namespace dotlane
