#include "app/sheets/sheets_view.hpp"

#include <QCoreApplication>
#include <QLocale>
#include <QPainter>
#include <set>

#include "app/bench/handles.hpp"
#include "app/bench/overlay.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr double kCaption = 42;  // px under each mat
constexpr double kBetween = 22;  // px between mats
constexpr double kMargin = 18;
constexpr double kTray = 104;        // px, where something waits
constexpr double kLeastOffcut = 25;  // mm: narrower ones are not worth keeping (common practice, no published source)
constexpr double kLitThin = 0.02;    // mm: outlines are thinned this much to be lit

/// The loads of a layout with their sheets.
std::vector<int> loads_of(const Layout& layout) {
  std::set<int> out;
  for (const auto& placed : layout.sheets) out.insert(placed.sheet.load);
  return {out.begin(), out.end()};
}

/// The place in the body where a number reads best: in the middle of its widest stretch at the height of its centre.
Vec middle_of(const Region& body, Vec centre) {
  std::vector<double> crossings;
  for (const auto& ring : body.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      if ((a.y <= centre.y) != (b.y <= centre.y))
        crossings.push_back(a.x + (b.x - a.x) * (centre.y - a.y) / (b.y - a.y));
    }
  }
  std::sort(crossings.begin(), crossings.end());
  double widest = 0;
  Vec out = centre;
  for (std::size_t i = 0; i + 1 < crossings.size(); i += 2) {
    if (crossings[i + 1] - crossings[i] > widest) {
      widest = crossings[i + 1] - crossings[i];
      out.x = (crossings[i] + crossings[i + 1]) / 2;
    }
  }
  return out;
}

}  // namespace

SheetsView::SheetsView(Session& session, SheetDesk& desk, QWidget* parent)
    : QWidget(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("sheetsView"));
  setAccessibleName(tr("Sheets"));
  setAccessibleDescription(
      tr("All sheets at one scale on their mats. Arrow keys move the chosen parts, comma and full stop turn them."));
  setFocusPolicy(Qt::StrongFocus);
  setMouseTracking(true);
  setAcceptDrops(true);
  setMinimumSize(300, 200);
  art_ = new ArtLayer(this);
  connect(art_, &ArtLayer::ready, this, qOverload<>(&QWidget::update));
  connect(&desk_, &SheetDesk::changed, this, &SheetsView::followDesk);
  connect(&session_, &Session::opened, this, [this] {
    endDrag();
    under_.clear();
    fitted_ = true;
  });
  followDesk();
}

// --- where things are ------------------------------------------------------------------------------------------------

QRectF SheetsView::table() const { return QRectF(rect()).adjusted(0, 0, 0, waiting().empty() ? 0 : -(kTray + 8)); }

QRectF SheetsView::tray() const {
  if (waiting().empty()) return {};
  return QRectF(kMargin, height() - kTray - 8, width() - 2 * kMargin, kTray);
}

std::vector<std::size_t> SheetsView::waiting() const {
  std::vector<std::size_t> out;
  const auto& laid = desk_.layout().laid;
  for (std::size_t k = 0; k < laid.size(); ++k) {
    if (laid[k].sheet == 0) out.push_back(k);
  }
  return out;
}

void SheetsView::arrange() {
  const auto loads = loads_of(desk_.layout());
  const QRectF room = table();
  const Mat& mat = session_.project().machine.mat;
  const auto n = loads.size();
  if (n == 0) {
    cells_.clear();
    return;
  }
  double scale = 0;
  std::size_t columns = 1;
  for (std::size_t c = 1; c <= n; ++c) {
    const auto across = static_cast<double>(c), down = static_cast<double>((n + c - 1) / c);
    const double w = (room.width() - 2 * kMargin - (across - 1) * kBetween) / (across * mat.width_mm);
    const double h =
        (room.height() - 2 * kMargin - down * kCaption - (down - 1) * kBetween / 2) / (down * mat.height_mm);
    if (std::min(w, h) > scale) scale = std::min(w, h), columns = c;
  }
  scale = std::max(scale, 0.05);
  cells_.clear();
  for (std::size_t i = 0; i < n; ++i) {
    const auto column = static_cast<double>(i % columns), row = static_cast<double>(i / columns);
    cells_.push_back(
        {loads[i],
         {column * (mat.width_mm + kBetween / scale), row * (mat.height_mm + (kCaption + kBetween / 2) / scale)}});
  }
  if (!fitted_) return;
  view_.px_per_mm = scale;
  const double wide = scale * mat.width_mm * static_cast<double>(columns) + kBetween * static_cast<double>(columns - 1);
  view_.origin = {room.left() + std::max(kMargin, (room.width() - wide) / 2), room.top() + kMargin};
}

View SheetsView::view_of(const MatCell& cell) const { return {view_.px_per_mm, view_.to_px(cell.at)}; }

View SheetsView::view_of(int load) const {
  const MatCell* cell = cell_of(load);
  return cell ? view_of(*cell) : view_;
}

const SheetsView::MatCell* SheetsView::cell_of(int load) const {
  for (const auto& cell : cells_) {
    if (cell.load == load) return &cell;
  }
  return nullptr;
}

const SheetsView::MatCell* SheetsView::cell_at(QPointF at) const {
  for (const auto& cell : cells_) {
    if (session_.project().machine.mat_area().grown(4).contains(view_of(cell).to_mm(at))) return &cell;
  }
  return nullptr;
}

const Sheet* SheetsView::sheet_at(QPointF at) const {
  const MatCell* cell = cell_at(at);
  if (!cell) return nullptr;
  const Vec mm = view_of(*cell).to_mm(at);
  for (const auto& placed : desk_.layout().sheets) {
    if (placed.sheet.load == cell->load && placed.sheet.area.contains(mm)) return &placed.sheet;
  }
  return nullptr;
}

QPainterPath SheetsView::body(std::size_t laid, const View& view, const Affine& map) const {
  const Part& part = desk_.layout().parts[desk_.layout().laid[laid].part];
  QPainterPath out;
  out.setFillRule(Qt::OddEvenFill);
  const auto add = [&](const Ring& ring) {
    QPolygonF pixels;
    for (const Vec q : ring) pixels.append(view.to_px(map(q)));
    out.addPolygon(pixels);
    out.closeSubpath();
  };
  if (part.body.empty()) {
    const Box b = part.reach.grown(0.5);
    add({{b.x0, b.y0}, {b.x1, b.y0}, {b.x1, b.y1}, {b.x0, b.y1}});
  }
  for (const auto& ring : part.body.rings) add(thinned(ring, kLitThin));
  return out;
}

const QPainterPath& SheetsView::body(std::size_t laid) const {
  bodies_.resize(desk_.layout().laid.size());
  auto& known = bodies_[laid];
  if (!known) {
    const LaidPart& part = desk_.layout().laid[laid];
    known = part.sheet != 0 ? body(laid, View{1, {}}, part.map) : QPainterPath();
  }
  return *known;
}

QPainterPath SheetsView::onScreen(std::size_t laid) const {
  const Sheet* sheet = desk_.layout().sheet(desk_.layout().laid[laid].sheet);
  if (!sheet) return {};
  const View view = view_of(sheet->load);
  return QTransform(view.px_per_mm, 0, 0, view.px_per_mm, view.origin.x(), view.origin.y()).map(body(laid));
}

QRectF SheetsView::boxOf(std::size_t laid) const {
  const Sheet* sheet = desk_.layout().sheet(desk_.layout().laid[laid].sheet);
  if (!sheet) return {};
  const QRectF box = body(laid).boundingRect();
  return view_of(sheet->load).to_px(Box::of(box.x(), box.y(), box.width(), box.height()));
}

QPointF SheetsView::middle(std::size_t laid) const {
  middles_.resize(desk_.layout().laid.size());
  const LaidPart& part = desk_.layout().laid[laid];
  const Sheet* sheet = desk_.layout().sheet(part.sheet);
  if (!sheet) return {};
  if (!middles_[laid]) {
    const Part& of = desk_.layout().parts[part.part];
    middles_[laid] =
        of.body.empty() ? part.map(of.centre) : middle_of(transformed(of.body, part.map), part.map(of.centre));
  }
  return view_of(sheet->load).to_px(*middles_[laid]);
}

QRectF SheetsView::in_tray(std::size_t laid) const {
  const auto all = waiting();
  const auto at = std::find(all.begin(), all.end(), laid) - all.begin();
  const QRectF box = tray();
  const QRectF place(box.left() + 190 + 78.0 * static_cast<double>(at), box.top() + 10, 70, kTray - 20);
  return at < static_cast<std::ptrdiff_t>(all.size()) && place.right() < box.right() ? place : QRectF();
}

std::optional<std::size_t> SheetsView::part_at(QPointF at) const {
  if (tray().contains(at)) {
    for (const std::size_t k : waiting()) {
      const QRectF place = in_tray(k);
      if (place.isEmpty()) break;  // the tray is full; so are the rest
      if (place.contains(at)) return k;
    }
    return std::nullopt;
  }
  const MatCell* cell = cell_at(at);
  if (!cell) return std::nullopt;
  std::optional<std::size_t> out;
  double smallest = std::numeric_limits<double>::infinity();
  const auto& laid = desk_.layout().laid;
  const Vec on_mat = view_of(*cell).to_mm(at);
  const QPointF mm(on_mat.x, on_mat.y);
  for (std::size_t k = 0; k < laid.size(); ++k) {
    const Sheet* sheet = desk_.layout().sheet(laid[k].sheet);
    if (!sheet || sheet->load != cell->load) continue;
    const QRectF box = boxOf(k);
    if (!box.adjusted(-4, -4, 4, 4).contains(at)) continue;
    const double size = box.width() * box.height();
    // A part hardly larger than the pointer is taken by its surroundings.
    const bool hit = std::max(box.width(), box.height()) < 8 || body(k).contains(mm);
    if (hit && size < smallest) out = k, smallest = size;
  }
  return out;
}

QRectF SheetsView::chosenFrame() const {
  QRectF frame;
  for (const std::size_t k : desk_.chosen()) {
    if (desk_.layout().laid[k].sheet != 0) frame = frame.united(boxOf(k));
  }
  return frame.intersected(QRectF(rect()).adjusted(0, 32, -32, 0));
}

std::optional<QPointF> SheetsView::knob() const {
  const QRectF frame = chosenFrame();
  if (frame.isEmpty()) return std::nullopt;
  return turn_knob(frame);
}

void SheetsView::followDesk() {
  const auto derived = desk_.shown();
  if (derived != shown_) {
    shown_ = derived;
    bodies_.clear(), middles_.clear();
    ready_.sheet = 0, ready_.room.reset();
    if (landed_ || drag_ == Drag::parts || drag_ == Drag::turn) endDrag();
    arrange();
    viewChanged();
  }
  update();
}

void SheetsView::viewChanged() {
  art_->invalidate();
  update();
}

void SheetsView::setUnder(int load, const QImage& picture) {
  under_[load] = picture;
  viewChanged();
}

void SheetsView::zoomToFit() {
  fitted_ = true;
  arrange();
  viewChanged();
}

void SheetsView::zoomBy(double factor, QPointF around) {
  const Vec fixed = view_.to_mm(around);
  view_.px_per_mm = std::clamp(view_.px_per_mm * factor, 0.05, 100.0);
  view_.origin = around - QPointF(fixed.x, fixed.y) * view_.px_per_mm;
  fitted_ = false;
  viewChanged();
}

void SheetsView::resizeEvent(QResizeEvent*) {
  arrange();
  viewChanged();
}

void SheetsView::changeEvent(QEvent* event) {
  if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange) viewChanged();
  QWidget::changeEvent(event);
}

void SheetsView::finishPainting() {
  grab();
  while (!art_->current()) QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
}

// --- painting --------------------------------------------------------------------------------------------------------

void SheetsView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.fillRect(rect(), theme().ground);
  if (cells_.empty()) {
    paint_empty_bench(p, QRectF(rect()));
    return;
  }
  art_->paint(p, view_, size(), devicePixelRatioF(), [this] {
    struct OnMat {
      MatCell cell;
      Drawing drawing;
      QImage under;
    };
    std::vector<OnMat> mats;
    std::size_t segments = 0;
    for (const auto& cell : cells_) {
      const auto under = under_.find(cell.load);
      mats.push_back({cell, desk_.layout().on_mats(cell.load), under == under_.end() ? QImage() : under->second});
      segments += mats.back().drawing.segments();
    }
    return Art{segments, [project = shown_->project, mats = std::move(mats), &look = theme()](
                             QPainter& q, const View& view, const QRectF& clip, const std::atomic<bool>* stop) {
                 for (const auto& mat : mats) {
                   const View own{view.px_per_mm, view.to_px(mat.cell.at)};
                   if (!own.to_px(project.machine.mat_area().grown(10)).intersects(clip)) continue;
                   LineOptions how;
                   how.clip = clip, how.stop = stop;
                   paint_mat(q, own, project.machine, look, clip);
                   if (!mat.under.isNull()) {
                     q.setRenderHint(QPainter::SmoothPixmapTransform);
                     q.drawImage(own.to_px(project.machine.mat_area()), mat.under);
                     q.setOpacity(0.3);
                   }
                   paint_sheets(q, own, project, mat.cell.load, Space::mat, look);
                   q.setOpacity(1);
                   paint_usable_area(q, own, project.machine, look);
                   paint_lines(q, own, project, mat.drawing, look, how);
                 }
               }};
  });
  p.setRenderHint(QPainter::Antialiasing);
  paintOffcuts(p);
  paintParts(p);
  paintCaptions(p);
  paintTray(p);
  paintDragged(p);
  if (drag_ == Drag::band && moved_) {
    p.setPen(QPen(theme().accent, 1, Qt::DashLine));
    QColor fill = theme().accent;
    fill.setAlpha(26);
    p.setBrush(fill);
    p.drawRect(band_);
  }
  if (hasFocus() && ring_) {
    p.setRenderHint(QPainter::Antialiasing, false);
    p.setPen(QPen(theme().accent, 2));
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(1, 1, -1, -1));
  }
}

void SheetsView::paintOffcuts(QPainter& p) {
  const LengthUnit unit = session_.project().unit;
  p.setFont(ui_font(11));
  for (const auto& placed : desk_.layout().sheets) {
    const SheetUse* use = desk_.use_of(placed.sheet.id);
    if (!use || use->laid.empty() || std::min(use->offcut.width(), use->offcut.height()) < kLeastOffcut) continue;
    const QRectF r = view_of(placed.sheet.load).to_px(use->offcut).adjusted(2, 2, -2, -2);
    const Stock* stock = find_stock(session_.project(), placed.sheet.stock);
    const bool dark = luminance(stock ? stock->color : Color{255, 255, 255}) < 0.3;
    QColor line = dark ? QColor("#DCE3DE") : QColor("#5F5A52");
    QPen pen(line, 1, Qt::CustomDashLine);
    pen.setDashPattern({4, 4});
    p.setPen(pen);
    p.setBrush(Qt::NoBrush);
    p.drawRect(r);
    const QString text = tr("offcut %1 %2").arg(size_text(use->offcut, unit), unit_word(unit));
    if (p.fontMetrics().horizontalAdvance(text) + 8 > r.width() || r.height() < 18) continue;
    p.setPen(line);
    p.drawText(r, Qt::AlignCenter, text);
  }
}

void SheetsView::paintRing(QPainter& p, std::size_t k) {
  const LaidPart& laid = desk_.layout().laid[k];
  const QPointF at = middle(k);
  const Theme& t = theme();
  const QString number = QString::number(desk_.layout().parts[laid.part].number);
  p.setFont(ui_font(10.5, true));
  const double wide = std::max(9.0, p.fontMetrics().horizontalAdvance(number) / 2.0 + 5);
  p.setPen(QPen(laid.not_now ? t.quiet : t.accent, 1.4));
  const QColor ground = t.dark ? t.panel : QColor(Qt::white);
  p.setBrush(laid.pinned ? t.accent : ground);
  p.drawRoundedRect(QRectF(at.x() - wide, at.y() - 9, 2 * wide, 18), 9, 9);
  p.setPen(laid.pinned ? ground : t.accent);
  p.drawText(QRectF(at.x() - wide, at.y() - 9, 2 * wide, 18), Qt::AlignCenter, number);
}

void SheetsView::paintParts(QPainter& p) {
  const Theme& t = theme();
  const auto& laid = desk_.layout().laid;
  const bool dragging = !puts_.empty();
  const auto moving = [&](std::size_t k) {
    return dragging && std::any_of(puts_.begin(), puts_.end(), [&](const Put& put) { return put.laid == k; });
  };
  const QRectF seen(rect());
  std::vector<std::size_t> rings;
  for (std::size_t k = 0; k < laid.size(); ++k) {
    if (laid[k].sheet == 0) continue;
    const QRectF box = boxOf(k);
    if (!box.intersects(seen)) continue;
    const bool lit = laid[k].not_now || desk_.is_chosen(k) || desk_.hovered() == k || moving(k);
    const QPainterPath path = lit ? onScreen(k) : QPainterPath();
    if (laid[k].not_now) {
      QColor veil = t.mat;
      veil.setAlpha(170);
      p.setPen(Qt::NoPen);
      p.setBrush(veil);
      p.drawPath(path);
      p.setBrush(QBrush(t.quiet, Qt::BDiagPattern));
      p.drawPath(path);
    }
    const bool chosen = desk_.is_chosen(k), hovered = desk_.hovered() == k;
    if (chosen || hovered) {
      QColor fill = t.accent;
      fill.setAlpha(chosen ? 70 : 36);
      p.setBrush(fill);
      p.setPen(QPen(QColor(255, 255, 255, 190), chosen ? 5 : 3.6));  // so that it stands out on dark card
      p.drawPath(path);
      p.setBrush(Qt::NoBrush);
      p.setPen(QPen(t.accent, chosen ? 2.4 : 1.6));
      p.drawPath(path);
    }
    if (moving(k)) {
      p.setPen(Qt::NoPen);
      QColor gone = t.ground;
      gone.setAlpha(150);
      p.setBrush(gone);
      p.drawPath(path);
    } else if (chosen || hovered || std::min(box.width(), box.height()) > 15) {
      rings.push_back(k);
    }
  }
  // What is kept together is tied.
  for (const std::size_t k : rings) {
    const PartRecord* record = desk_.record_of(k);
    if (!record || record->together == 0) continue;
    const auto with = desk_.layout().moved_with(shown_->project, k);
    for (const std::size_t m : with) {
      if (m <= k || laid[m].sheet != laid[k].sheet) continue;
      QPen tie(t.accent, 1.4, Qt::CustomDashLine);
      tie.setDashPattern({1, 3});
      p.setPen(tie);
      p.drawLine(middle(k), middle(m));
    }
  }
  for (const std::size_t k : rings) paintRing(p, k);
  if (!dragging) {
    const QRectF frame = chosenFrame();
    if (!frame.isEmpty()) paint_turn_knob(p, frame, t);
  }
}

void SheetsView::paintCaptions(QPainter& p) {
  const Theme& t = theme();
  const LengthUnit unit = session_.project().unit;
  for (const auto& cell : cells_) {
    const QRectF mat = view_of(cell).to_px(session_.project().machine.mat_area());
    std::vector<const Sheet*> on_it;
    for (const auto& placed : desk_.layout().sheets) {
      if (placed.sheet.load == cell.load) on_it.push_back(&placed.sheet);
    }
    const double each = mat.width() / static_cast<double>(std::max<std::size_t>(1, on_it.size()));
    for (std::size_t i = 0; i < on_it.size(); ++i) {
      const Sheet& sheet = *on_it[i];
      const QRectF place(mat.left() + each * static_cast<double>(i), mat.bottom() + 12, each - 8, 18);
      const Stock* stock = find_stock(session_.project(), sheet.stock);
      const QString name = tr("%1 %2 · %3")
                               .arg(sheet.outline.empty() ? tr("Sheet") : tr("Scrap"))
                               .arg(desk_.number_of(sheet.id))
                               .arg(qs(stock ? stock->name : sheet.stock));
      const SheetUse* use = desk_.use_of(sheet.id);
      QStringList facts;
      if (sheet.not_now) facts << tr("not this time");
      if (use) facts << tr("%1 % used").arg(QLocale().toString(100 * use->used, 'f', 0));
      if (use && !use->laid.empty() && std::min(use->offcut.width(), use->offcut.height()) >= kLeastOffcut)
        facts << tr("offcut %1 %2").arg(size_text(use->offcut, unit), unit_word(unit));
      facts << tr("mat load %1").arg(cell.load);
      const bool picked = desk_.sheet() && desk_.sheet()->id == sheet.id;
      p.setFont(ui_font(12.5, true));
      p.setPen(picked ? t.accent : t.ink);
      p.drawText(place, Qt::AlignVCenter | Qt::AlignLeft,
                 p.fontMetrics().elidedText(name, Qt::ElideRight, static_cast<int>(place.width())));
      p.setFont(ui_font(11.5));
      p.setPen(sheet.not_now ? t.hands.darker(t.dark ? 100 : 125) : t.quiet);
      while (facts.size() > 1 && p.fontMetrics().horizontalAdvance(facts.join(QStringLiteral(" · "))) > place.width())
        facts.removeLast();
      p.drawText(place.translated(0, 17), Qt::AlignVCenter | Qt::AlignLeft,
                 p.fontMetrics().elidedText(facts.join(QStringLiteral(" · ")), Qt::ElideRight,
                                            static_cast<int>(place.width())));
    }
  }
}

void SheetsView::paintTray(QPainter& p) {
  const QRectF box = tray();
  if (box.isEmpty()) return;
  const Theme& t = theme();
  const auto all = waiting();
  QPen edge(aim_.tray && !puts_.empty() ? t.accent : t.hands, 1.2, Qt::CustomDashLine);
  edge.setDashPattern({4, 4});
  p.setPen(edge);
  p.setBrush(t.panel);
  p.drawRoundedRect(box, 8, 8);
  p.setFont(ui_font(13, true));
  p.setPen(t.hands.darker(t.dark ? 100 : 125));
  p.drawText(QRectF(box.left() + 16, box.top() + 10, 160, 18), Qt::AlignLeft | Qt::AlignVCenter, tr("Waiting"));
  p.setFont(ui_font(11.5));
  p.setPen(t.quiet);
  p.drawText(QRectF(box.left() + 16, box.top() + 30, 164, kTray - 36), Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
             tr("%1 no room yet. Drag %2 onto a sheet, or add a sheet.")
                 .arg(all.size() == 1 ? tr("1 part has") : tr("%1 parts have").arg(all.size()))
                 .arg(all.size() == 1 ? tr("it") : tr("them")));
  std::size_t shown = 0;
  for (const std::size_t k : all) {
    const QRectF place = in_tray(k);
    if (place.isEmpty()) break;
    ++shown;
    const Part& part = desk_.layout().parts[desk_.layout().laid[k].part];
    const View view =
        View::fitting(part.bounds(), QRectF(place.left(), place.top(), place.width(), place.height() - 18), 4);
    const Stock* stock = find_stock(session_.project(), part.stock);
    const bool chosen = desk_.is_chosen(k), hovered = desk_.hovered() == k;
    p.setPen(QPen(chosen || hovered ? t.accent : t.quiet, chosen ? 2 : 1));
    p.setBrush(to_qcolor(stock ? stock->color : Color{255, 255, 255}));
    p.drawPath(body(k, view, {}));
    p.setFont(ui_font(11, chosen));
    p.setPen(t.ink);
    p.drawText(QRectF(place.left() - 2, place.bottom() - 16, place.width() + 4, 16), Qt::AlignCenter,
               p.fontMetrics().elidedText(QStringLiteral("%1 %2").arg(part.number).arg(qs(part.name)), Qt::ElideRight,
                                          static_cast<int>(place.width()) + 4));
  }
  if (shown < all.size()) {
    p.setPen(t.quiet);
    p.drawText(QRectF(box.right() - 70, box.top(), 60, box.height()), Qt::AlignRight | Qt::AlignVCenter,
               tr("and %1 more").arg(all.size() - shown));
  }
}

void SheetsView::paintDragged(QPainter& p) {
  if (puts_.empty()) return;
  const Theme& t = theme();
  const bool bad = !landed_ && (aim_.refused || !aim_.inside || !aim_.clashes.empty());
  if (!landed_) {
    // What is in the way is told by a pattern, not by colour alone.
    for (const auto& clash : aim_.clashes) {
      p.setPen(QPen(t.serious, 1.6, Qt::DashLine));
      p.setBrush(QBrush(t.serious, Qt::FDiagPattern));
      p.drawPath(onScreen(clash.b));
    }
  }
  for (const auto& put : puts_) {
    const QPainterPath path = body(put.laid, view_, put.map);
    QColor fill = bad ? t.serious : t.accent;
    fill.setAlpha(60);
    p.setPen(QPen(bad ? t.serious : t.accent, 2, bad ? Qt::DashLine : Qt::SolidLine));
    p.setBrush(fill);
    p.drawPath(path);
    if (bad) {
      p.setBrush(QBrush(t.serious, Qt::BDiagPattern));
      p.setPen(Qt::NoPen);
      p.drawPath(path);
    }
  }
  if (landed_) return;
  const LengthUnit unit = session_.project().unit;
  QString text;
  if (aim_.tray) {
    text = tr("take off the sheet");
  } else if (aim_.refused) {
    text = tr("another stock");
  } else if (!aim_.inside) {
    text = tr("over the edge");
  } else if (!aim_.clashes.empty()) {
    const Clash& nearest = aim_.clashes.front();
    text = nearest.apart_mm > 0 ? tr("%1 to %2").arg(length_text(nearest.apart_mm, unit), desk_.name_of(nearest.b))
                                : tr("on %1").arg(desk_.name_of(nearest.b));
  } else if (drag_ == Drag::turn) {
    text = QLocale().toString(turned_, 'f', 1) + QStringLiteral("°");
  }
  if (drag_ == Drag::turn && bad) text = QLocale().toString(turned_, 'f', 1) + QStringLiteral("° · ") + text;
  if (!text.isEmpty()) paint_pill(p, text, last_ + QPointF(0, 28), QRectF(rect()));
}

}  // namespace dotlane
