#include "app/sheets/sheets_view.hpp"

#include <QLocale>
#include <set>

#include "app/bench/handles.hpp"
#include "core/layout/assembly.hpp"

namespace dotlane {
namespace {

constexpr double kCaption = 42;  // px under each mat
constexpr double kBetween = 22;  // px between mats
constexpr double kMargin = 18;
constexpr double kTray = 104;      // px, where something waits
constexpr double kLitThin = 0.02;  // mm: outlines are thinned this much to be lit

/// The loads of a layout with their sheets.
std::vector<int> loads_of(const Layout& layout) {
  std::set<int> out;
  for (const auto& placed : layout.sheets) out.insert(placed.sheet.load);
  return {out.begin(), out.end()};
}

}  // namespace

SheetsView::SheetsView(Session& session, SheetDesk& desk, QWidget* parent)
    : Table(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("sheetsView"));
  setAccessibleDescription(
      tr("All sheets at one scale on their mats. Arrow keys move the chosen parts, comma and full stop turn them."));
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
    for (const Vec q : ring) pixels.append(view.to_px(q));
    out.addPolygon(pixels);
    out.closeSubpath();
  };
  if (!part.has_body()) {
    const Box b = part.reach.grown(0.5);
    add({map({b.x0, b.y0}), map({b.x1, b.y0}), map({b.x1, b.y1}), map({b.x0, b.y1})});
  }
  const Region body = transformed(*part.shape, map * part.at);
  for (const auto& ring : body.rings) add(thinned(ring, kLitThin));
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
    middles_[laid] = of.has_body() ? number_place(transformed(*of.shape, part.map * of.at)) : part.map(of.centre);
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
  const auto& chosen = desk_.chosen();
  setAccessibleName(tr("Sheets: %1")
                        .arg(chosen.empty()       ? tr("no part is chosen")
                             : chosen.size() == 1 ? desk_.name_of(chosen.front())
                                                  : tr("%1 parts are chosen").arg(QLocale().toString(chosen.size()))));
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

void SheetsView::resizeEvent(QResizeEvent*) {
  arrange();
  viewChanged();
}

void SheetsView::changeEvent(QEvent* event) {
  if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange) viewChanged();
  QWidget::changeEvent(event);
}

}  // namespace dotlane
