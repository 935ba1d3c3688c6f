#include "app/bench/bench.hpp"

#include <QCoreApplication>
#include <QDragEnterEvent>
#include <QHBoxLayout>
#include <QLocale>
#include <QMimeData>
#include <QPainter>
#include <QTimer>
#include <QWheelEvent>

#include "app/bench/overlay.hpp"
#include "app/bench/rulers.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/project/arrange.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text_scan.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr double kReachPx = 6;  // how near a click must be to a line
constexpr double kScreenPxPerMm = 96 / kMmPerInch;

}  // namespace

Bench::Bench(Session& session, Typing& typing, QWidget* parent) : QWidget(parent), session_(session), typing_(typing) {
  setObjectName(QStringLiteral("bench"));
  setAccessibleName(tr("Bench"));
  setAccessibleDescription(tr("Mat, sheets and pieces at true scale. Arrow keys move the selected pieces."));
  setFocusPolicy(Qt::StrongFocus);
  setMouseTracking(true);
  setAcceptDrops(true);
  setMinimumSize(300, 200);
  art_ = new ArtLayer(this);
  connect(art_, &ArtLayer::ready, this, qOverload<>(&QWidget::update));

  zoom_bar_ = new QFrame(this);
  set_kind(zoom_bar_, "card");
  auto* row = new QHBoxLayout(zoom_bar_);
  row->setContentsMargins(3, 2, 3, 2);
  row->setSpacing(0);
  auto button = [&](const QString& text, const QString& name, auto run) {
    auto* b = new QToolButton(zoom_bar_);
    set_kind(b, "flat");
    b->setText(text);
    b->setToolTip(name);
    b->setAccessibleName(name);
    b->setFocusPolicy(Qt::TabFocus);
    connect(b, &QToolButton::clicked, this, run);
    row->addWidget(b);
    return b;
  };
  button(QStringLiteral("−"), tr("Zoom out"), [this] { zoomBy(1 / 1.25, canvas().center()); });
  zoom_text_ = button({}, tr("Zoom to fit"), [this] { zoomToFit(); });
  zoom_text_->setMinimumWidth(58);
  button(QStringLiteral("+"), tr("Zoom in"), [this] { zoomBy(1.25, canvas().center()); });
  load_button_ = new QToolButton(this);
  load_button_->setObjectName(QStringLiteral("loadButton"));
  load_button_->setToolTip(tr("Show the next mat load"));
  set_kind(load_button_, "chip");
  connect(load_button_, &QToolButton::clicked, this, [this] {
    std::vector<int> loads;
    for (const auto& s : session_.project().sheets) loads.push_back(s.load);
    std::sort(loads.begin(), loads.end());
    const auto next = std::upper_bound(loads.begin(), loads.end(), load_);
    if (!loads.empty()) setLoad(next == loads.end() ? loads.front() : *next);
  });

  connect(&typing_, &Typing::changed, this, qOverload<>(&QWidget::update));
  connect(&typing_, &Typing::activeChanged, this, [this](bool on) {
    setAttribute(Qt::WA_InputMethodEnabled, on);
    if (on) setFocus(Qt::OtherFocusReason);
  });
  connect(&session_, &Session::changed, this, &Bench::refresh);
  connect(&session_, &Session::changed, this, &Bench::updateLoads);
  connect(&session_, &Session::derivedChanged, this, [this] {
    if (!record_) marks_.clear();
    update();
  });
  connect(&session_, &Session::selectionChanged, this, [this] {
    pointed_.clear();
    for (const int id : session_.selectedPieces()) {
      const Piece* piece = find_piece(session_.project(), id);
      const Sheet* sheet = piece ? sheet_of(session_.project(), piece->stock) : nullptr;
      if (sheet && sheet->load != load_) setLoad(sheet->load);
    }
    update();
  });
  connect(&session_, &Session::opened, this, [this] {
    load_ = session_.project().sheets.empty() ? 1 : session_.project().sheets.front().load;
    updateLoads();
    zoomToFit();
  });
  connect(&session_, &Session::broughtIn, this, [this] { zoomToFit(); });
  updateLoads();
}

QRectF Bench::canvas() const { return QRectF(rect()).adjusted(kRulerWidth, kRulerHeight, 0, 0); }

void Bench::setView(const View& view) {
  view_ = view;
  view_.px_per_mm = std::clamp(view_.px_per_mm, 0.05, 400.0);
  viewChanged();
}

void Bench::zoomToFit() {
  Box box = session_.project().machine.mat_area();
  const Box art = session_.drawing().bounds();
  // The sheets in use, where they are smaller than the mat; everything off the mat as well.
  Box sheets;
  for (const auto& sheet : session_.project().sheets) {
    if (sheet.load == load_) sheets.add(sheet.area);
  }
  if (!sheets.empty()) box.add(sheets);
  box.add(art);
  setView(View::fitting(box, canvas(), 24));
  fitted_ = true;
}

void Bench::zoomToSelection() {
  const Box box = selectionBounds();
  if (box.empty()) return zoomToFit();
  setView(View::fitting(box, canvas(), 60));
  fitted_ = false;
}

void Bench::zoomBy(double factor, QPointF around) {
  View v = view_;
  const Vec fixed = view_.to_mm(around);
  v.px_per_mm = std::clamp(v.px_per_mm * factor, 0.05, 400.0);
  v.origin = around - QPointF(fixed.x, fixed.y) * v.px_per_mm;
  fitted_ = false;
  setView(v);
}

void Bench::setLoad(int load) {
  if (load == load_) return;
  load_ = load;
  updateLoads();
  refresh();
  emit loadChanged(load);
}

void Bench::updateLoads() {
  std::vector<int> loads;
  for (const auto& s : session_.project().sheets) loads.push_back(s.load);
  std::sort(loads.begin(), loads.end());
  loads.erase(std::unique(loads.begin(), loads.end()), loads.end());
  if (!loads.empty() && !std::binary_search(loads.begin(), loads.end(), load_)) {
    load_ = loads.front();
    refresh();
  }
  const auto at = std::lower_bound(loads.begin(), loads.end(), load_) - loads.begin();
  load_button_->setText(stacked_ ? tr("All layers stacked") : tr("Mat load %1 of %2").arg(at + 1).arg(loads.size()));
  load_button_->setVisible(stacked_ || loads.size() > 1);
  placeControls();
}

void Bench::setStacked(bool on) {
  stacked_ = on;
  updateLoads();
  refresh();
}

void Bench::setHiddenShown(bool on) {
  hidden_shown_ = on;
  refresh();
}

void Bench::setScrub(double seconds) {
  const bool other = (scrub_ >= 0) != (seconds >= 0);
  scrub_ = seconds;
  if (other) marks_.clear(), refresh();  // the lines grow fainter, or come back
  update();
}

void Bench::showRun(const RunRecord* record) {
  record_ = record;
  marks_.clear();
  refresh();
}

void Bench::moveHead(const HeadState& head) {
  head_ = head;
  if (head.mat != load_) setLoad(head.mat);
  update();
}

void Bench::point(const std::vector<LineRef>& lines) {
  pointed_.clear();
  for (const auto& ref : lines) {
    if (ref.line.empty()) {
      const auto all = lines_of_piece(session_.drawing(), ref.piece);
      pointed_.insert(pointed_.end(), all.begin(), all.end());
    } else {
      pointed_.push_back(ref);
    }
  }
  const Box box = bounds_of(session_.drawing(), pointed_);
  if (!box.empty() && !canvas().contains(view_.to_px(box))) setView(View::fitting(box, canvas(), 80));
  update();
}

// --- painting ------------------------------------------------------------------------------------------------------

void Bench::refresh() {
  art_->invalidate();
  update();
}

void Bench::viewChanged() {
  art_->invalidate();
  zoom_text_->setText(QLocale().toString(view_.px_per_mm / kScreenPxPerMm * 100, 'f', 0) + QStringLiteral(" %"));
  update();
}

void Bench::paintArt(QPainter& p) {
  p.fillRect(rect(), theme().ground);
  const bool rehearsing = record_ || scrub_ >= 0;
  art_->paint(
      p, view_, size(), devicePixelRatioF(),
      {session_.project(), session_.drawing(), load_, rehearsing ? 0.16 : 1.0, stacked_ && !rehearsing, hidden_shown_});
}

void Bench::finishPainting() {
  grab();
  while (!art_->current()) QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
}

void Bench::paintMarks(QPainter& p) {
  const Project& project = session_.project();
  bool all = true;
  if (record_) {
    all = marks_.paint(p, view_, size(), project, *record_, load_);
    paint_head(p, view_.to_px(head_.position), head_.down, theme());
  } else if (scrub_ >= 0 && !session_.derived().plan.passes.empty()) {
    const Plan& plan = session_.derived().plan;
    const Moment now = moment_at(plan, project.machine, scrub_);
    all = marks_.paint(p, view_, size(), project, plan, now);
    paint_head(p, view_.to_px(now.head), now.down, theme());
  }
  if (!all) QTimer::singleShot(0, this, qOverload<>(&QWidget::update));
}

Box Bench::selectionBounds() const { return bounds_of(session_.drawing(), session_.selection()); }

std::vector<Bench::Handle> Bench::handles() const {
  const auto pieces = session_.selectedPieces();
  const auto& selection = session_.selection();
  const bool whole = selection.size() == 1 && selection.front().line.empty() && pieces.size() == 1;
  if (!whole || record_ || scrub_ >= 0 || typing_.active()) return {};
  const QRectF r = view_.to_px(selectionBounds());
  const QPointF c = r.center();
  return {{{1, 1}, true, true, Qt::SizeFDiagCursor, r.topLeft()},
          {{0.5, 1}, false, true, Qt::SizeVerCursor, {c.x(), r.top()}},
          {{0, 1}, true, true, Qt::SizeBDiagCursor, r.topRight()},
          {{0, 0.5}, true, false, Qt::SizeHorCursor, {r.right(), c.y()}},
          {{0, 0}, true, true, Qt::SizeFDiagCursor, r.bottomRight()},
          {{0.5, 0}, false, true, Qt::SizeVerCursor, {c.x(), r.bottom()}},
          {{1, 0}, true, true, Qt::SizeBDiagCursor, r.bottomLeft()},
          {{1, 0.5}, true, false, Qt::SizeHorCursor, {r.left(), c.y()}}};
}

void Bench::paintSelection(QPainter& p) {
  const Theme& t = theme();
  if (!pointed_.empty()) {
    QColor glow = t.hands;
    glow.setAlpha(150);
    paint_highlight(p, view_, session_.drawing(), pointed_, glow, 5);
  }
  if (!session_.selection().empty()) {
    std::vector<LineRef> single;
    for (const auto& ref : session_.selection()) {
      if (!ref.line.empty()) single.push_back(ref);
    }
    if (!single.empty()) {
      QColor glow = t.accent;
      glow.setAlpha(120);
      paint_highlight(p, view_, session_.drawing(), single, glow, 5);
    }
    const Box bounds = selectionBounds();
    if (!bounds.empty()) {
      p.setRenderHint(QPainter::Antialiasing);
      const QRectF r = view_.to_px(bounds);
      p.setBrush(Qt::NoBrush);
      p.setPen(QPen(t.accent, 1.2));
      p.drawRect(r);
      p.setBrush(t.dark ? t.ground : QColor(Qt::white));
      for (const auto& h : handles()) p.drawRect(QRectF(h.at.x() - 3.5, h.at.y() - 3.5, 7, 7));
      paint_size_pills(p, r, bounds, session_.project().unit, canvas());
    }
  }
  if (drag_ == Drag::band) {
    QColor wash = t.accent;
    wash.setAlpha(30);
    p.setPen(QPen(t.accent, 1, Qt::DashLine));
    p.setBrush(wash);
    p.drawRect(band_);
  }
}

void Bench::paintEvent(QPaintEvent*) {
  QPainter p(this);
  paintArt(p);
  paintMarks(p);
  const Project& project = session_.project();
  if (!stacked_) paint_sheet_names(p, view_, project, load_);
  paintSelection(p);
  typing_.paint(p, view_);
  if (project.pieces.empty()) paint_empty_bench(p, canvas());
  const Box shown = session_.selection().empty() ? Box{} : selectionBounds();
  paint_rulers(p, QRectF(rect()), view_, project.unit, shown, theme());
  if (hasFocus() && ring_) {
    p.setRenderHint(QPainter::Antialiasing, false);
    p.setPen(QPen(theme().accent, 2));
    p.setBrush(Qt::NoBrush);
    p.drawRect(rect().adjusted(1, 1, -1, -1));
  }
}

void Bench::placeControls() {
  zoom_bar_->adjustSize();
  zoom_bar_->move(width() - zoom_bar_->width() - 14, height() - zoom_bar_->height() - 12);
  load_button_->adjustSize();
  load_button_->move(static_cast<int>(kRulerWidth) + 12, height() - load_button_->height() - 12);
}

void Bench::resizeEvent(QResizeEvent*) {
  placeControls();
  if (fitted_) {
    zoomToFit();
  } else {
    viewChanged();
  }
}

void Bench::focusInEvent(QFocusEvent* event) {
  ring_ = event->reason() == Qt::TabFocusReason || event->reason() == Qt::BacktabFocusReason;
  QWidget::focusInEvent(event);
}

void Bench::changeEvent(QEvent* event) {
  if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange) marks_.clear(), refresh();
  QWidget::changeEvent(event);
}

// --- hands ---------------------------------------------------------------------------------------------------------

std::optional<LineRef> Bench::hit(QPointF at) const {
  Drawing shown;
  for (const auto& piece : session_.drawing().pieces) {
    const Sheet* sheet = sheet_of(session_.project(), piece->piece->stock);
    if (stacked_ || !sheet || sheet->load == load_) shown.pieces.push_back(piece);
  }
  const Vec mm = view_.to_mm(at);
  if (auto line = pick_line(shown, mm, kReachPx / view_.px_per_mm)) return line;
  // Not on a line: the smallest piece around the place.
  std::optional<LineRef> inside;
  double smallest = std::numeric_limits<double>::infinity();
  for (const auto& piece : shown.pieces) {
    const double area = piece->bounds.width() * piece->bounds.height();
    if (piece->bounds.contains(mm) && area < smallest) {
      smallest = area;
      inside = LineRef{piece->piece->id, ""};
    }
  }
  return inside;
}

void Bench::clickAt(QPointF at, Qt::KeyboardModifiers keys) {
  const auto found = hit(at);
  auto selection = session_.selection();
  if (!found) {
    if (!(keys & Qt::ControlModifier)) session_.select({});
    return;
  }
  if (keys & Qt::ControlModifier) {
    const LineRef ref = *found;
    const auto known = std::find(selection.begin(), selection.end(), ref);
    if (known != selection.end()) {
      selection.erase(known);
    } else {
      selection.push_back(ref);
    }
    session_.select(selection);
  } else {
    selectGroup(found->piece);
  }
}

void Bench::selectGroup(int piece) {
  std::vector<LineRef> all;
  for (const int id : with_group(session_.project(), {piece})) all.push_back({id, ""});
  session_.select(std::move(all));
}

void Bench::pickContour(QPointF at, bool keep) {
  const auto pieces = session_.selectedPieces();
  const auto found = hit(at);
  if (record_ || !found || found->line.empty() || pieces != std::vector<int>{found->piece}) return;
  session_.commit(pick_contour(session_.project(), session_.drawing(), found->piece, view_.to_mm(at), keep),
                  keep ? tr("Keep a contour alone") : tr("Drop a contour"));
}

void Bench::mousePressEvent(QMouseEvent* event) {
  press_ = last_ = event->position();
  moved_ = false;
  if (event->button() == Qt::MiddleButton || (event->button() == Qt::LeftButton && space_)) {
    drag_ = Drag::pan;
    setCursor(Qt::ClosedHandCursor);
    return;
  }
  if (event->button() != Qt::LeftButton) return;
  if (event->modifiers() & Qt::AltModifier) {
    pickContour(press_, event->modifiers() & Qt::ShiftModifier);
    return;
  }
  if (typing_.active()) {
    if (typing_.press(view_.to_mm(press_), event->modifiers() & Qt::ShiftModifier)) {
      drag_ = Drag::mark;
      return;
    }
    typing_.end();
  }
  press_bounds_ = selectionBounds();
  for (const auto& h : handles()) {
    if (QRectF(h.at.x() - 6, h.at.y() - 6, 12, 12).contains(press_)) {
      handle_ = h;
      drag_ = Drag::size;
      session_.seal();
      ++drag_count_;
      return;
    }
  }
  if (event->modifiers() & (Qt::ControlModifier | Qt::ShiftModifier)) {
    drag_ = Drag::band;
    return;
  }
  const auto found = hit(press_);
  if (!found) {
    drag_ = Drag::band;
    return;
  }
  const auto pieces = session_.selectedPieces();
  if (std::find(pieces.begin(), pieces.end(), found->piece) == pieces.end()) selectGroup(found->piece);
  drag_ = Drag::move;
  session_.seal();
  ++drag_count_;
}

void Bench::mouseMoveEvent(QMouseEvent* event) {
  const QPointF at = event->position();
  if (drag_ == Drag::none) {
    Qt::CursorShape shape = Qt::ArrowCursor;
    for (const auto& h : handles()) {
      if (QRectF(h.at.x() - 6, h.at.y() - 6, 12, 12).contains(at)) shape = h.cursor;
    }
    if (cursor().shape() != shape) setCursor(shape);
    return;
  }
  if (!moved_ && (at - press_).manhattanLength() < 4) return;
  moved_ = true;
  const Vec step{(at.x() - last_.x()) / view_.px_per_mm, (at.y() - last_.y()) / view_.px_per_mm};
  switch (drag_) {
    case Drag::pan:
      view_.origin += at - last_;
      fitted_ = false;
      viewChanged();
      break;
    case Drag::move:
      if (record_) break;
      session_.commit(move_pieces(session_.project(), session_.selectedPieces(), step), tr("Move"),
                      "move-" + std::to_string(drag_count_));
      break;
    case Drag::size: {
      const auto pieces = session_.selectedPieces();
      if (pieces.size() != 1) break;
      const Vec to = view_.to_mm(at);
      const Vec fixed{press_bounds_.x0 + handle_.anchor.x * press_bounds_.width(),
                      press_bounds_.y0 + handle_.anchor.y * press_bounds_.height()};
      std::optional<double> w, h;
      if (handle_.across) w = std::max(0.5, std::abs(to.x - fixed.x));
      if (handle_.along) h = std::max(0.5, std::abs(to.y - fixed.y));
      const Piece* piece = find_piece(session_.project(), pieces.front());
      if (piece && piece->aspect_locked && w && h) {
        // The larger of the two pulls decides.
        if (*w / std::max(press_bounds_.width(), 1e-9) > *h / std::max(press_bounds_.height(), 1e-9)) {
          h.reset();
        } else {
          w.reset();
        }
      }
      session_.commit(resize_piece(session_.project(), session_.drawing(), pieces.front(), w, h, handle_.anchor),
                      tr("Resize"), "size-" + std::to_string(drag_count_));
      break;
    }
    case Drag::mark:
      typing_.drag(view_.to_mm(at));
      break;
    case Drag::band:
      band_ = QRectF(press_, at).normalized();
      update();
      break;
    default:
      break;
  }
  last_ = at;
}

void Bench::mouseReleaseEvent(QMouseEvent* event) {
  const Drag drag = drag_;
  drag_ = Drag::none;
  if (drag == Drag::pan) {
    setCursor(space_ ? Qt::OpenHandCursor : Qt::ArrowCursor);
    return;
  }
  if (event->button() != Qt::LeftButton || drag == Drag::mark || drag == Drag::picked) return;
  session_.seal();
  if (drag == Drag::band && moved_) {
    const Vec a = view_.to_mm(band_.topLeft()), b = view_.to_mm(band_.bottomRight());
    auto lines = lines_inside(session_.drawing(), {a.x, a.y, b.x, b.y});
    if (event->modifiers() & Qt::ControlModifier) {
      const auto& old = session_.selection();
      lines.insert(lines.end(), old.begin(), old.end());
    }
    session_.select(std::move(lines));
    update();
  } else if (!moved_) {
    // A click on a piece that was selected already picks the single line under it.
    const auto found = hit(press_);
    const auto& selection = session_.selection();
    const bool again = found && !found->line.empty() && drag == Drag::move && !press_bounds_.empty() &&
                       selection.size() == 1 && selection.front() == LineRef{found->piece, ""} &&
                       press_bounds_ == selectionBounds();
    if (again && !(event->modifiers() & Qt::ControlModifier)) {
      session_.select({*found});
    } else {
      clickAt(press_, event->modifiers());
    }
  }
}

void Bench::mouseDoubleClickEvent(QMouseEvent* event) {
  // Inside a group a double click means the single piece, on that piece the single line.
  const auto found = hit(event->position());
  const Piece* piece = found ? find_piece(session_.project(), found->piece) : nullptr;
  if (piece && piece->source.kind == "lettering" && !record_ && scrub_ < 0) {
    session_.select({{found->piece, ""}});
    typing_.begin(found->piece, view_.to_mm(event->position()));
    drag_ = Drag::mark;
    return;
  }
  // The release that follows is no click of its own, or it would pick the whole again.
  drag_ = Drag::picked;
  if (found && session_.selectedPieces().size() > 1) {
    session_.select({{found->piece, ""}});
  } else if (found && !found->line.empty()) {
    session_.select({*found});
  }
}

void Bench::wheelEvent(QWheelEvent* event) {
  const QPoint px = event->pixelDelta(), ticks = event->angleDelta();
  if (!px.isNull() && !(event->modifiers() & Qt::ControlModifier)) {
    view_.origin += px;
    fitted_ = false;
    viewChanged();
  } else if (event->modifiers() & Qt::ShiftModifier) {
    view_.origin += QPointF(ticks.y() + ticks.x(), 0) / 3;
    fitted_ = false;
    viewChanged();
  } else {
    zoomBy(std::pow(1.2, (ticks.y() != 0 ? ticks.y() : px.y() * 4) / 120.0), event->position());
  }
  event->accept();
}

void Bench::nudge(double dx, double dy) {
  const auto pieces = session_.selectedPieces();
  if (pieces.empty() || record_) return;
  session_.commit(move_pieces(session_.project(), pieces, {dx, dy}), tr("Nudge"), "nudge");
}

bool Bench::event(QEvent* event) {
  // While typing, keys that other actions have for shortcuts are letters first.
  if (event->type() == QEvent::ShortcutOverride && typing_.active() && Typing::wants(static_cast<QKeyEvent*>(event))) {
    event->accept();
    return true;
  }
  return QWidget::event(event);
}

void Bench::inputMethodEvent(QInputMethodEvent* event) { typing_.compose(event); }

QVariant Bench::inputMethodQuery(Qt::InputMethodQuery query) const {
  const QVariant known = typing_.ask(query, view_);
  return known.isValid() ? known : QWidget::inputMethodQuery(query);
}

void Bench::keyPressEvent(QKeyEvent* event) {
  if (typing_.key(event)) return;
  const double step = event->modifiers() & Qt::ShiftModifier ? 10 : event->modifiers() & Qt::AltModifier ? 0.1 : 1;
  switch (event->key()) {
    case Qt::Key_Left:
      nudge(-step, 0);
      break;
    case Qt::Key_Right:
      nudge(step, 0);
      break;
    case Qt::Key_Up:
      nudge(0, -step);
      break;
    case Qt::Key_Down:
      nudge(0, step);
      break;
    case Qt::Key_Escape:
      session_.select({});
      break;
    case Qt::Key_Space:
      if (!event->isAutoRepeat()) space_ = true, setCursor(Qt::OpenHandCursor);
      break;
    default:
      QWidget::keyPressEvent(event);
  }
}

void Bench::keyReleaseEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Space && !event->isAutoRepeat()) {
    space_ = false;
    setCursor(Qt::ArrowCursor);
  }
  QWidget::keyReleaseEvent(event);
}

void Bench::dragEnterEvent(QDragEnterEvent* event) {
  if (event->mimeData()->hasUrls()) event->acceptProposedAction();
}

void Bench::dropEvent(QDropEvent* event) {
  QStringList files;
  for (const QUrl& url : event->mimeData()->urls()) {
    if (url.isLocalFile()) files.append(url.toLocalFile());
  }
  if (!files.isEmpty()) emit filesDropped(files);
  event->acceptProposedAction();
}

}  // namespace dotlane
