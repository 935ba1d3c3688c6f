#include "app/bench/bench.hpp"

#include <QHBoxLayout>
#include <QLocale>
#include <QPainter>
#include <QTimer>

#include "app/bench/handles.hpp"
#include "app/bench/overlay.hpp"
#include "app/bench/rulers.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/place/held.hpp"
#include "core/place/tape.hpp"
#include "core/text_scan.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr double kScreenPxPerMm = 96 / kMmPerInch;
constexpr std::size_t kFilledCosts = 8;  // times as much to paint an area as to paint its edge

}  // namespace

Bench::Bench(Session& session, Typing& typing, QWidget* parent) : Table(parent), session_(session), typing_(typing) {
  setObjectName(QStringLiteral("bench"));
  setAccessibleDescription(tr("Mat, sheets and pieces at true scale. Arrow keys move the selected pieces."));
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

  constexpr int kLetUpMs = 40;
  let_up_.setSingleShot(true);
  let_up_.setInterval(kLetUpMs);
  connect(&let_up_, &QTimer::timeout, this, &Bench::letUp);
  sketch_.done = [this](Sketch::What what, const std::vector<Vec>& places, bool closed) {
    sketched(what, places, closed);
  };
  connect(&typing_, &Typing::changed, this, qOverload<>(&QWidget::update));
  connect(&typing_, &Typing::activeChanged, this, [this](bool on) {
    setAttribute(Qt::WA_InputMethodEnabled, on);
    if (on) setFocus(Qt::OtherFocusReason);
  });
  connect(&session_, &Session::changed, this, [this] {
    if (drag_ == Drag::none) snapping_.clear();
    if (sketch_.active()) snapping_.end();  // what was drawn can be met as well
    if (!ghost_.on()) return refresh();
    // Only what goes along with what is dragged needs to be painted anew.
    auto around = aroundGhost().pieces;
    if (around == around_) return update();
    around_ = std::move(around);
    refresh();
  });
  connect(&session_, &Session::changed, this, &Bench::updateLoads);
  connect(&session_, &Session::changed, this, &Bench::dropWanted);
  connect(&session_, &Session::derivedChanged, this, [this] {
    if (!record_) marks_.clear();
    // Packed, or laid as drawn again: the draft goes to the plain table, or to the mats.
    if (std::exchange(plain_, plainTable()) != plain_) {
      updateLoads();
      if (fitted_) zoomToFit();
      refresh();
    }
    if (on_mats_) art_->invalidate();
    update();
  });
  connect(&session_, &Session::selectionChanged, this, [this] {
    pointed_.clear(), pointed_at_.reset();
    if (session_.selection() != had_)
      had_ = session_.selection(), middle_.reset(), middle_shows_ = false, node_.reset(), snapping_.clear();
    dropWanted();
    if (picking_ != Picking::none && session_.selectedPieces().size() != 1) setPicking(Picking::none);
    for (const int id : session_.selectedPieces()) {
      const auto loads = loadsOf(id);
      if (!loads.empty() && !loads.contains(load_)) setLoad(*loads.begin());
    }
    sayChosen();
    update();
  });
  sayChosen();
  connect(&session_, &Session::opened, this, [this] {
    // Nothing of what hands were at belongs to another project.
    drag_ = Drag::none;
    ghost_.drop(), around_.clear(), snapping_.end(), snapping_.clear();
    node_.reset(), middle_.reset(), under_ = 0;
    session_.setHandsOn(false);
    if (sketch_.active()) sketch(Sketch::What::none);
    load_ = session_.project().sheets.empty() ? 1 : session_.project().sheets.front().load;
    updateLoads();
    zoomToFit();
  });
  connect(&session_, &Session::broughtIn, this, [this] { zoomToFit(); });
  updateLoads();
}

QRectF Bench::canvas() const { return QRectF(rect()).adjusted(kRulerWidth, kRulerHeight, 0, 0); }

void Bench::sayChosen() {
  const auto& chosen = session_.selection();
  const Piece* piece = chosen.size() == 1 ? find_piece(session_.project(), chosen.front().piece) : nullptr;
  const QString what = piece            ? qs(piece->name) + QStringLiteral(" ") + qs(chosen.front().line)
                       : chosen.empty() ? tr("nothing is chosen")
                                        : tr("%1 chosen").arg(QLocale().toString(chosen.size()));
  setAccessibleName(tr("Bench: %1").arg(what.trimmed()));
}

void Bench::zoomToFit() {
  Box box = session_.project().machine.mat_area();
  const Box art = space().bounds();
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
  const Box box = frame();
  if (box.empty()) return zoomToFit();
  setView(View::fitting(box, canvas(), 60));
  fitted_ = false;
}

void Bench::setOnMats(bool on) {
  if (on == on_mats_) return;
  on_mats_ = on;
  plain_ = plainTable();
  updateLoads();
  refresh();
}

bool Bench::showsMats() const { return (on_mats_ || record_ || scrub_ >= 0) && !session_.derived().layout.as_figure(); }

bool Bench::plainTable() const { return !on_mats_ && !record_ && scrub_ < 0 && !session_.derived().layout.as_figure(); }

Drawing Bench::space() const { return showsMats() ? session_.derived().layout.on_mats(0) : session_.drawing(); }

std::set<int> Bench::loadsOf(int piece) const {
  const Piece* known = find_piece(session_.project(), piece);
  std::set<int> out;
  for (const auto& sheet : session_.project().sheets) {
    if (known && sheet.stock == known->stock) out.insert(sheet.load);
  }
  return out;
}

Drawing Bench::shown() const {
  if (showsMats() && !stacked_) return session_.derived().layout.on_mats(load_);
  const bool all = stacked_ || plainTable(), draft = !on_mats_ && !record_ && scrub_ < 0;  // what is hidden is run
  Drawing out;
  for (const auto& piece : session_.drawing().pieces) {
    if (draft && piece->piece->hidden) continue;
    if (!all) {
      const auto loads = loadsOf(piece->piece->id);
      if (!loads.empty() && !loads.contains(load_)) continue;
    }
    out.pieces.push_back(piece);
  }
  return out;
}

Drawing Bench::reachable() const {
  Drawing out = shown();
  std::erase_if(out.pieces, [this](const auto& piece) { return piece->piece->locked || piece->piece->id == under_; });
  return out;
}

bool Bench::inReach(int piece) const {
  const Piece* found = find_piece(session_.project(), piece);
  return found && !found->locked && !found->hidden;
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
  load_button_->setVisible(stacked_ || (loads.size() > 1 && !plainTable()));
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
  const Plan& plan = session_.derived().plan;
  if (scrub_ >= 0 && !plan.passes.empty()) {
    const std::size_t pass = moment_at(plan, session_.project().machine, scrub_).pass;
    setLoad(plan.passes[std::min(pass, plan.passes.size() - 1)].load);
  }
  update();
}

void Bench::showRun(const RunRecord* record, std::shared_ptr<const Print> print, std::map<int, Affine> lies) {
  record_ = record;
  print_ = std::move(print), lies_ = std::move(lies);
  marks_.clear();
  refresh();
}

void Bench::moveHead(const HeadState& head) {
  head_ = head;
  if (head.mat != load_) setLoad(head.mat);
  update();
}

void Bench::point(const std::vector<LineRef>& lines, std::optional<Vec> at) {
  pointed_.clear();
  pointed_at_ = at;
  if (at) {
    // Near enough to see what is meant, with what lies around it.
    constexpr double kAround = 15;  // mm
    if (view_.px_per_mm < 8 || !canvas().contains(view_.to_px(*at)))
      setView(View::fitting(Box::of(at->x - kAround, at->y - kAround, 2 * kAround, 2 * kAround), canvas(), 80));
    return update();
  }
  for (const auto& ref : lines) {
    if (ref.line.empty()) {
      const auto all = lines_of_piece(space(), ref.piece);
      pointed_.insert(pointed_.end(), all.begin(), all.end());
    } else {
      pointed_.push_back(ref);
    }
  }
  const Box box = bounds_of(space(), pointed_);
  if (!box.empty() && !canvas().contains(view_.to_px(box))) setView(View::fitting(box, canvas(), 80));
  update();
}

// --- painting ------------------------------------------------------------------------------------------------------

void Bench::refresh() {
  art_->invalidate();
  update();
}

void Bench::viewChanged() {
  Table::viewChanged();
  zoom_text_->setText(QLocale().toString(view_.px_per_mm / kScreenPxPerMm * 100, 'f', 0) + QStringLiteral(" %"));
}

void Bench::paintArt(QPainter& p) {
  p.fillRect(rect(), theme().ground);
  const bool rehearsing = record_ || scrub_ >= 0;
  art_->paint(p, view_, size(), devicePixelRatioF(), [this, rehearsing] {
    LineOptions options;
    options.strength = rehearsing ? 0.16 : 1.0;
    const bool plain = plainTable();
    options.stacked = plain || (stacked_ && !rehearsing);
    options.hidden = stacked_ && hidden_shown_;
    options.shadows = plain;
    options.outlined = under_;
    if (!record_ && scrub_ >= 0 && (!print_ || &print_->of() != &session_.derived()))
      print_ = std::make_shared<const Print>(session_.derivedHandle());
    const auto print = rehearsing && print_ && print_->any() ? print_ : nullptr;
    Drawing drawing = aroundGhost();
    const std::size_t segments = drawing.segments() * (options.stacked ? kFilledCosts : 1);
    return Art{segments,
               [project = session_.project(), drawing = std::move(drawing), load = load_,
                space = !showsMats() ? Space::figure
                        : rehearsing ? Space::tools
                                     : Space::mat,
                options, plain, print, lies = lies_,
                &look = theme()](QPainter& q, const View& view, const QRectF& clip, const std::atomic<bool>* stop) {
                 LineOptions how = options;
                 how.clip = clip, how.stop = stop;
                 if (plain) {
                   paint_ghost_mat(q, view, project.machine, look);
                 } else {
                   paint_mat(q, view, project.machine, look, clip);
                   if (!how.stacked) paint_sheets(q, view, project, load, space, look, lies);
                   for (const auto& sheet : project.sheets) {
                     const auto at = lies.find(sheet.id);
                     if (print && sheet.load == load)
                       print->paint(q, view, sheet.id, at == lies.end() ? Affine{} : at->second);
                   }
                   paint_usable_area(q, view, project.machine, look);
                 }
                 paint_lines(q, view, project, drawing, look, how);
               },
               print != nullptr};
  });
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

void Bench::paintSelection(QPainter& p) {
  const Theme& t = theme();
  if (!pointed_.empty()) {
    QColor glow = t.hands;
    glow.setAlpha(150);
    paint_highlight(p, view_, space(), pointed_, glow, 5);
  }
  if (pointed_at_) paint_place(p, view_.to_px(*pointed_at_));
  if (!session_.selection().empty()) {
    std::vector<LineRef> single;
    for (const auto& ref : session_.selection()) {
      if (!ref.line.empty()) single.push_back(ref);
    }
    if (!single.empty()) {
      QColor glow = t.accent;
      glow.setAlpha(120);
      paint_highlight(p, view_, space(), single, glow, 5);
    }
    const Box bounds = frame();
    if (!bounds.empty()) {
      p.setRenderHint(QPainter::Antialiasing);
      const QRectF r = view_.to_px(bounds);
      p.setBrush(Qt::NoBrush);
      p.setPen(QPen(t.accent, 1.2, wanted_ ? Qt::DashLine : Qt::SolidLine));  // dashed until the recipes are there
      p.drawRect(r);
      const bool placing = drag_ == Drag::move || drag_ == Drag::turn || drag_ == Drag::slant;
      if (hasHandles() && !(placing && moved_)) paint_handles(p, r, shownMiddle(), t);
      for (const auto& handle : stepHandles()) {
        const bool held = drag_ == Drag::step && same_handle(handle, step_handle_);
        paint_step_handle(p, view_.to_px(handle.at), handle, held);
        if (held)
          paint_pill(p, step_text(session_.drawing(), handle, session_.project().unit),
                     view_.to_px(handle.at) + QPointF(0, -26), canvas());
      }
      if (sketch_.what() != Sketch::What::tape) paint_size_pills(p, r, bounds, session_.project().unit, canvas());
      if ((drag_ == Drag::turn || drag_ == Drag::slant) && moved_) paint_turn(p, last_, turned_, canvas());
    }
  }
  if (drag_ == Drag::band && moved_) {
    paintBand(p);
    paint_pill(p, touching_ ? tr("touches  ·  T: encloses") : tr("encloses  ·  T: touches"),
               band_.bottomRight() + QPointF(0, 18), canvas());
  }
}

/// From what is selected to what lies under the pointer, or to its sheet.
void Bench::paintTape(QPainter& p) {
  if (sketch_.what() != Sketch::What::tape || sketch_.started() || session_.selection().empty()) return;
  const auto& chosen = session_.selectedPieces();
  Box to;
  for (const int id : piecesAt(pointer_)) {
    if (std::find(chosen.begin(), chosen.end(), id) != chosen.end()) continue;
    to = find_drawn(session_.drawing(), id)->bounds;
    break;
  }
  const Vec there = view_.to_mm(pointer_);
  for (const auto& sheet : session_.project().sheets) {
    if (to.empty() && sheet.load == load_ && !plainTable() && sheet.seen().contains(there)) to = sheet.seen();
  }
  if (to.empty()) to = session_.project().machine.mat_area();
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(theme().hands, 1.2, Qt::DotLine));
  p.setBrush(Qt::NoBrush);
  p.drawRect(view_.to_px(to));
  std::vector<std::pair<QPointF, QString>> pills;
  for (const auto& side : distances(frame(), to)) {
    if (!side) continue;
    const QPointF a = view_.to_px(side->from), b = view_.to_px(side->to);
    p.setPen(QPen(theme().hands, 1.6));
    p.drawLine(a, b);
    pills.push_back({(a + b) / 2, length_text(side->mm, session_.project().unit)});
  }
  for (const auto& [at, text] : pills) paint_pill(p, text, at, canvas());
}

void Bench::paintGuides(QPainter& p) {
  p.setRenderHint(QPainter::Antialiasing, false);
  const auto paint = [&](const Guide& guide, bool held) {
    QColor color = held ? theme().hands : theme().accent;
    color.setAlpha(held ? 255 : 150);
    p.setPen(QPen(color, 1));
    const QPointF at = view_.to_px(Vec{guide.at_mm, guide.at_mm});
    const QRectF room = canvas();
    if (guide.axis == Axis::x) {
      p.drawLine(QPointF(at.x(), room.top()), QPointF(at.x(), room.bottom()));
    } else {
      p.drawLine(QPointF(room.left(), at.y()), QPointF(room.right(), at.y()));
    }
  };
  const auto& guides = session_.project().guides;
  const bool dragging = drag_ == Drag::guide && moved_;
  for (std::size_t i = 0; i < guides.size(); ++i) {
    if (!dragging || i != guide_at_) paint(guides[i], false);
  }
  if (!dragging) return;
  paint(guide_, true);
  paint_pill(p, length_text(guide_.at_mm, session_.project().unit), last_ + QPointF(0, -24), canvas());
}

/// A thin link from what is held to what holds it, stronger where it is selected.
void Bench::paintHeld(QPainter& p) {
  const auto& chosen = session_.selectedPieces();
  for (const auto& link : held_links(session_.project(), session_.drawing())) {
    const bool selected = std::find(chosen.begin(), chosen.end(), link.piece) != chosen.end();
    if (inReach(link.piece) || selected) paint_link(p, view_.to_px(link.from), view_.to_px(link.to), selected);
  }
}

void Bench::paintEvent(QPaintEvent*) {
  QPainter p(this);
  paintArt(p);
  if (!ghost_.on() && ghost_.there() && art_->current()) ghost_.drop();
  ghost_.paint(p, view_);
  paintMarks(p);
  const Project& project = session_.project();
  const auto& selected = session_.selectedPieces();
  if (selected.size() == 1 && hasHandles()) paint_room(p, view_, step_room(project, session_.drawing(), selected[0]));
  if (!showsMats() && !record_ && scrub_ < 0) paint_seams(p, view_, seams_in(project, session_.drawing()));
  if (!stacked_ && !plainTable()) paint_sheet_names(p, view_, project, load_);
  if (!showsMats() && !record_) paintGuides(p), paintHeld(p);
  paintSelection(p);
  if (!showsMats() && !record_) snapping_.paint(p, view_, project.unit, canvas());
  paintNodes(p);
  paintTape(p);
  sketch_.paint(p, view_, project.unit, canvas());
  typing_.paint(p, view_);
  if (project.pieces.empty()) paint_empty_bench(p, canvas());
  if (picking_ == Picking::contours)
    paint_hint(p, tr("Click a contour to leave it out, with Shift to keep it alone. Esc ends."), canvas());
  if (sketch_.active()) {
    QString hint = sketch_.hint();
    if (sketch_.what() == Sketch::What::loop)
      hint = hint.arg(touching_ ? tr("only what it encloses") : tr("what it touches, too"));
    paint_hint(p, hint, canvas());
  }
  if (picking_ == Picking::places)
    paint_hint(p,
               selected.size() == 1 && placed_by_last(project, selected.front()) == Placed::seams
                   ? tr("Click where a seam is to run the shortest way across, a seam to take it away. Esc ends.")
                   : tr("Click an opening to set a bridge across it, a bridge to take it away. Esc ends."),
               canvas());
  const Box shown = session_.selection().empty() ? Box{} : frame();
  paint_rulers(p, QRectF(rect()), view_, project.unit, shown, theme());
  paintFocusRing(p);
}

void Bench::placeControls() {
  zoom_bar_->adjustSize();
  zoom_bar_->move(width() - zoom_bar_->width() - 14, height() - zoom_bar_->height() - 12);
  load_button_->adjustSize();
  load_button_->move(static_cast<int>(kRulerWidth) + 12, static_cast<int>(kRulerHeight) + 10);
}

void Bench::resizeEvent(QResizeEvent*) {
  placeControls();
  if (fitted_) {
    zoomToFit();
  } else {
    viewChanged();
  }
}

void Bench::changeEvent(QEvent* event) {
  if (event->type() == QEvent::PaletteChange || event->type() == QEvent::StyleChange) marks_.clear(), refresh();
  QWidget::changeEvent(event);
}

}  // namespace dotlane
