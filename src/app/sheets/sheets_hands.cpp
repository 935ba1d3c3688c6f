// The hands of the sheets: what mouse and keys do to the parts that lie there.
#include <QMouseEvent>
#include <numbers>

#include "app/bench/handles.hpp"
#include "app/sheets/sheets_view.hpp"
#include "app/units.hpp"
#include "core/geometry/failure.hpp"

namespace dotlane {
namespace {

constexpr double kKnobPx = 9;

Affine moved(Vec by) { return Affine::move(by.x, by.y); }

}  // namespace

void SheetsView::mousePressEvent(QMouseEvent* event) {
  if (landed_ || pressed(event) || event->button() != Qt::LeftButton) return;
  const auto turns = knob();
  if (turns && QLineF(*turns, press_).length() <= kKnobPx) {
    drag_ = Drag::turn;
    return;
  }
  const auto part = part_at(press_);
  if (const Sheet* sheet = sheet_at(press_)) desk_.pickSheet(sheet->id);
  if (!part) {
    drag_ = Drag::band;
    return;
  }
  if (event->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier)) {
    auto chosen = desk_.chosen();
    if (desk_.is_chosen(*part)) {
      const auto with = desk_.layout().moved_with(shown_->project, *part);
      std::erase_if(chosen, [&](std::size_t k) { return std::find(with.begin(), with.end(), k) != with.end(); });
    } else {
      chosen.push_back(*part);
    }
    desk_.choose(chosen);
    return;
  }
  if (!desk_.is_chosen(*part)) desk_.choose({*part});
  beginParts(*part);
}

void SheetsView::beginParts(std::size_t grabbed) {
  drag_ = Drag::parts;
  puts_.clear(), base_.clear(), shapes_.clear();
  const auto& laid = desk_.layout().laid;
  std::vector<std::size_t> moving;
  if (laid[grabbed].sheet == 0) {  // from the tray: it alone, with what is kept together with it
    for (const std::size_t k : desk_.layout().moved_with(shown_->project, grabbed)) {
      if (laid[k].sheet == 0) moving.push_back(k);
    }
  } else {
    for (const std::size_t k : desk_.chosen()) {
      if (laid[k].sheet != 0) moving.push_back(k);
    }
  }
  // A waiting part hangs upright from the pointer.
  Sheet table;
  table.area = Box::of(0, 0, 1, 1);
  Place hangs;
  hangs.at = view_.to_mm(press_);
  const Affine from_tray = map_of(shown_->drawing, desk_.layout().parts[laid[grabbed].part], hangs, table);
  for (const std::size_t k : moving) {
    const Sheet* sheet = desk_.layout().sheet(laid[k].sheet);
    const MatCell* cell = sheet ? cell_of(sheet->load) : nullptr;
    const Affine map = cell ? moved(cell->at) * laid[k].map : from_tray;
    takeUp({k, laid[k].sheet, map});
  }
}

/// Adds it to what is dragged.
void SheetsView::takeUp(const Put& put) {
  puts_.push_back(put);
  base_.push_back(put.map);
  try {
    shapes_.emplace_back(
        body_on_mat(shown_->drawing, desk_.layout().parts[desk_.layout().laid[put.laid].part], put.map));
  } catch (const GeometryFailure&) {
    // It is moved all the same; Second look says how it lies.
  }
}

/// Finds out where what is dragged would go, and what it would meet there.
void SheetsView::aimAt(QPointF at, Vec by) {
  aim_ = {};
  const auto& laid = desk_.layout().laid;
  const bool from_sheet =
      std::any_of(puts_.begin(), puts_.end(), [&](const Put& put) { return laid[put.laid].sheet != 0; });
  if (tray().contains(at)) {
    aim_.tray = from_sheet;
    return;
  }
  const MatCell* cell = cell_at(at);
  if (!cell) return;
  aim_.cell = *cell;
  const std::string& stock = desk_.layout().parts[laid[puts_.front().laid].part].stock;
  const Sheet* sheet = sheet_at(at);
  if (!sheet || sheet->stock != stock) {
    // Beside a sheet, the one of the stock on this mat is meant.
    const Sheet* other = nullptr;
    for (const auto& placed : desk_.layout().sheets) {
      if (placed.sheet.load == aim_.cell->load && placed.sheet.stock == stock) other = &placed.sheet;
    }
    aim_.refused = sheet != nullptr || !other;
    if (aim_.refused) return;
    sheet = other;
  }
  aim_.refused = std::any_of(puts_.begin(), puts_.end(),
                             [&](const Put& put) { return desk_.layout().parts[laid[put.laid].part].stock != stock; });
  if (aim_.refused) return;
  aim_.sheet = sheet->id;
  try {
    if (ready_.sheet != sheet->id) {
      std::vector<std::size_t> lifted;
      for (const auto& put : puts_) lifted.push_back(put.laid);
      ready_.sheet = sheet->id;
      ready_.room.emplace(shown_->project, shown_->drawing, desk_.layout(), *sheet, lifted);
    }
    const Vec on_mat = by - aim_.cell->at;
    aim_.inside = ready_.room->holds(shapes_, on_mat);
    aim_.clashes = ready_.room->around(shapes_, on_mat, shown_->project.laying.gap_mm - 0.005);
  } catch (const GeometryFailure&) {
    aim_.clashes.clear();
  }
}

void SheetsView::dragParts(QPointF at) {
  if (puts_.empty()) return;
  const Vec by{(at.x() - press_.x()) / view_.px_per_mm, (at.y() - press_.y()) / view_.px_per_mm};
  for (std::size_t i = 0; i < puts_.size(); ++i) puts_[i].map = moved(by) * base_[i];
  aimAt(at, by);
  update();
}

void SheetsView::dragTurn(QPointF at, bool even) {
  QRectF frame;
  for (const std::size_t k : desk_.chosen()) {
    if (desk_.layout().laid[k].sheet != 0) frame = frame.united(boxOf(k));
  }
  const auto chosen = desk_.chosen();
  // About what turned() turns it about.
  const auto probe = turned(desk_.layout(), chosen, 0);
  if (probe.empty()) return;
  const LaidPart& first = desk_.layout().laid[probe.front().laid];
  const Sheet* sheet = desk_.layout().sheet(first.sheet);
  const bool alone = probe.size() == 1;
  const QPointF about =
      alone ? view_of(sheet->load).to_px(first.map(desk_.layout().parts[first.part].centre)) : frame.center();
  const auto degrees = [&](QPointF px) {
    return -std::atan2(px.y() - about.y(), px.x() - about.x()) * 180 / std::numbers::pi;
  };
  turned_ = std::remainder(degrees(at) - degrees(press_), 360.0);
  if (even) turned_ = std::round(turned_ / 15) * 15;
  puts_.clear(), base_.clear(), shapes_.clear();
  for (const auto& put : turned(desk_.layout(), chosen, turned_)) {
    const Sheet* on = desk_.layout().sheet(put.sheet);
    takeUp({put.laid, put.sheet, moved(cell_of(on->load)->at) * put.map});
  }
  aimAt(about, {});
  update();
}

void SheetsView::drop() {
  const auto& laid = desk_.layout().laid;
  if (puts_.empty()) return endDrag();
  if (drag_ == Drag::turn) {
    desk_.turn(turned_);
    drag_ = Drag::none;
    landed_ = true;
    return;
  }
  if (aim_.tray) {
    desk_.takeOff();
    return endDrag();
  }
  if (aim_.refused) {
    const Part& part = desk_.layout().parts[laid[puts_.front().laid].part];
    const Stock* stock = find_stock(session_.project(), part.stock);
    emit desk_.said(tr("%1 is of %2, and that sheet is not; it stays where it was.")
                        .arg(desk_.name_of(puts_.front().laid), qs(stock ? stock->name : part.stock)),
                    true);
    return endDrag();
  }
  if (aim_.sheet == 0) return endDrag();
  std::vector<Put> puts;
  for (const auto& put : puts_) puts.push_back({put.laid, aim_.sheet, moved(Vec{} - aim_.cell->at) * put.map});
  const bool from_tray = laid[puts.front().laid].sheet == 0;
  desk_.place(puts, from_tray ? tr("Lay it on the sheet") : tr("Move on the sheet"));
  drag_ = Drag::none;
  landed_ = true;  // shown where it was let go until it lies there
}

void SheetsView::endDrag() {
  drag_ = Drag::none;
  landed_ = false;
  puts_.clear(), base_.clear(), shapes_.clear();
  aim_ = {};
  ready_.sheet = 0, ready_.room.reset();
  update();
}

void SheetsView::mouseMoveEvent(QMouseEvent* event) {
  const QPointF at = event->position();
  if (dragged(event, drag_ != Drag::none)) return;
  if (drag_ == Drag::none) {
    const auto turns = knob();
    const auto part = part_at(at);
    desk_.hover(part);
    const bool on_knob = turns && QLineF(*turns, at).length() <= kKnobPx;
    const Qt::CursorShape shape = space_    ? Qt::OpenHandCursor
                                  : on_knob ? Qt::PointingHandCursor
                                  : part    ? Qt::SizeAllCursor
                                            : Qt::ArrowCursor;
    if (cursor().shape() != shape) setCursor(shape);
    return;
  }
  switch (drag_) {
    case Drag::parts:
      dragParts(at);
      break;
    case Drag::turn:
      dragTurn(at, event->modifiers() & Qt::ShiftModifier);
      break;
    case Drag::band:
      band_ = QRectF(press_, at).normalized();
      update();
      break;
    case Drag::none:
      break;
  }
}

void SheetsView::mouseReleaseEvent(QMouseEvent* event) {
  if (released() || event->button() != Qt::LeftButton) return;
  const Drag drag = drag_;
  switch (drag) {
    case Drag::parts:
    case Drag::turn:
      if (moved_) return drop();
      endDrag();
      if (const auto part = part_at(press_); drag == Drag::parts && part) desk_.choose({*part});
      return;
    case Drag::band: {
      drag_ = Drag::none;
      std::vector<std::size_t> inside;
      if (moved_) {
        for (std::size_t k = 0; k < desk_.layout().laid.size(); ++k) {
          if (desk_.layout().laid[k].sheet != 0 && band_.contains(boxOf(k))) inside.push_back(k);
        }
      }
      if (event->modifiers() & Qt::ControlModifier)
        inside.insert(inside.end(), desk_.chosen().begin(), desk_.chosen().end());
      desk_.choose(inside);
      return;
    }
    default:
      drag_ = Drag::none;
  }
}

void SheetsView::leaveEvent(QEvent*) { desk_.hover(std::nullopt); }

void SheetsView::nudge(double dx, double dy) { desk_.nudge({dx, dy}); }

void SheetsView::escape() {
  if (drag_ == Drag::parts || drag_ == Drag::turn) {
    endDrag();
  } else {
    desk_.choose({});
  }
}

}  // namespace dotlane
