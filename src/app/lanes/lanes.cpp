#include "app/lanes/lanes.hpp"

#include <QKeyEvent>
#include <QMouseEvent>
#include <QScrollBar>
#include <QWheelEvent>
#include <cmath>
#include <map>

#include "app/lanes/lane_metrics.hpp"
#include "app/lanes/pass_editor.hpp"
#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {

using namespace lane_metrics;

Lanes::Lanes(Session& session, QWidget* parent) : QAbstractScrollArea(parent), session_(session) {
  setObjectName(QStringLiteral("lanes"));
  setAccessibleDescription(
      tr("Left and right move the play head, up and down pick a pass, Ctrl with left or right moves it earlier or "
         "later. H pins it, Enter opens its numbers; plus, minus and 0 zoom along time."));
  set_kind(this, "bottom");
  setFrameShape(QFrame::NoFrame);
  setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  viewport()->setMouseTracking(true);
  setFocusPolicy(Qt::StrongFocus);
  connect(&session_, &Session::derivedChanged, this, &Lanes::layOut);
  connect(&session_, &Session::opened, this, [this] {
    // Nothing of what hands were at belongs to another project.
    zoom_ = 1, from_ = 0, current_ = dragged_ = 0, moved_ = false;
    follow_.clear(), cost_text_.clear();
    ++*weighing_;
    layOut();
  });
}

void Lanes::layOut() {
  // A lane for every tool put into a holder, until it is taken out again.
  lane_of_.clear(), in_lane_.clear();
  lanes_ = 0;
  const auto& passes = plan().passes;
  std::map<int, int> lane_in;  // of what each holder has now
  std::size_t pause = 0;
  for (std::size_t i = 0; i < passes.size(); ++i) {
    for (; pause < plan().pauses.size() && plan().pauses[pause].before_pass <= i; ++pause) {
      for (const auto& load : plan().pauses[pause].holders) {
        if (!load.put_in.empty()) lane_in.erase(load.holder);
      }
    }
    const auto [lane, fresh] = lane_in.try_emplace(passes[i].holder, lanes_);
    if (fresh) ++lanes_, in_lane_.emplace_back();
    lane_of_.push_back(lane->second);
    in_lane_[static_cast<std::size_t>(lane->second)].push_back(i);
  }
  // Hands stay on what they moved.
  if (!follow_.empty() && session_.derived().project == session_.project()) {
    const std::string key = std::exchange(follow_, {});
    const auto moved = std::find_if(passes.begin(), passes.end(), [&](const Pass& pass) { return pass.key == key; });
    if (moved != passes.end()) {
      current_ = moved->index;
      emit passPicked(current_);
    }
  }
  if (current_ > static_cast<int>(passes.size())) current_ = 0;
  if (dragged_ > static_cast<int>(passes.size())) dragged_ = 0, moved_ = false;
  if (time_ > plan().seconds) time_ = -1;
  pan(0);
  const int content = viewport()->height() < kTop + 10 ? 0 : static_cast<int>(kTop + kLane * lanes_ + 6);
  verticalScrollBar()->setRange(0, std::max(0, content - viewport()->height()));
  verticalScrollBar()->setPageStep(viewport()->height());
  arrangeLabels();
  sayCurrent();
  viewport()->update();
}

void Lanes::setCurrentPass(int index) {
  current_ = index;
  sayCurrent();
  viewport()->update();
}

void Lanes::sayCurrent() {
  const auto& passes = plan().passes;
  if (current_ < 1 || current_ > static_cast<int>(passes.size()))
    return setAccessibleName(tr("Lanes: the passes along time"));
  const Pass& pass = passes[static_cast<std::size_t>(current_) - 1];
  setAccessibleName(tr("Lanes: pass %1 of %2, %3, %4")
                        .arg(current_)
                        .arg(passes.size())
                        .arg(role_name(pass), run_length_text(pass.length_mm, session_.project().unit)));
}

void Lanes::setTime(double seconds) {
  time_ = seconds;
  viewport()->update();
}

double Lanes::width() const { return std::max(1.0, viewport()->width() - kLeft - kRight); }

double Lanes::xOf(double seconds) const {
  return kLeft + (plan().seconds > 0 ? (seconds - from_) / plan().seconds * width() * zoom_ : 0);
}

double Lanes::secondsAt(double x) const {
  return std::clamp(from_ + (x - kLeft) / (width() * zoom_) * plan().seconds, 0.0, plan().seconds);
}

void Lanes::pan(double seconds) { from_ = std::clamp(from_ + seconds, 0.0, plan().seconds * (1 - 1 / zoom_)); }

void Lanes::zoomAt(double x, double factor) {
  constexpr double kMost = 400;
  const double moment = secondsAt(x), share = std::clamp((x - kLeft) / width(), 0.0, 1.0);
  zoom_ = std::clamp(zoom_ * factor, 1.0, kMost);
  from_ = moment - share * plan().seconds / zoom_;
  pan(0);
  arrangeLabels();
  viewport()->update();
}

QRectF Lanes::blockOf(int pass) const {
  const auto i = static_cast<std::size_t>(pass - 1);
  if (pass < 1 || i >= lane_of_.size()) return {};
  const Pass& p = plan().passes[i];
  const double y = kTop + kLane * lane_of_[i] - verticalScrollBar()->value();
  return {xOf(p.start_s), y, std::max(4.0, xOf(p.start_s + p.seconds) - xOf(p.start_s)), 22};
}

int Lanes::passAt(QPointF at) const {
  const double lane = std::floor((at.y() - kTop + 2 + verticalScrollBar()->value()) / kLane);
  if (lane < 0 || lane >= lanes_) return 0;
  int near = 0;  // a short block is hit beside it, too, but none instead of the one that is under the pointer
  for (const std::size_t i : in_lane_[static_cast<std::size_t>(lane)]) {
    QRectF block = blockOf(static_cast<int>(i) + 1).adjusted(0, -2, 0, 3);
    block.setLeft(std::max(block.left(), kLeft));
    if (block.right() > kLeft && block.contains(at)) return static_cast<int>(i) + 1;
    if (near == 0 && block.right() > kLeft && block.adjusted(-4, 0, 4, 0).contains(at)) near = static_cast<int>(i) + 1;
  }
  const bool name = at.x() < kLeft - 10;
  return near == 0 && name ? static_cast<int>(in_lane_[static_cast<std::size_t>(lane)].front()) + 1 : near;
}

std::vector<double> Lanes::pauseLines() const {
  std::vector<double> out;
  for (const auto& pause : plan().pauses) out.push_back(xOf(pause.start_s));
  return out;
}

void Lanes::arrangeLabels() {
  const auto& passes = plan().passes;
  const LengthUnit unit = session_.project().unit;
  const QFontMetrics metrics(ui_font(11.5));
  labels_.clear();
  labels_.reserve(passes.size());
  for (std::size_t i = 0; i < passes.size(); ++i) {
    const Pass& pass = passes[i];
    QRectF block = blockOf(static_cast<int>(i) + 1);
    Label label;
    if (block.right() < kLeft || block.left() > viewport()->width() || i >= lane_of_.size()) {
      labels_.push_back(std::move(label));
      continue;
    }
    block.setLeft(std::max(block.left(), kLeft));
    block.setRight(std::min<double>(block.right(), viewport()->width() - 8));
    QString text = QStringLiteral("%1 %2").arg(role_name(pass), run_length_text(pass.length_mm, unit));
    if (pass.repeats > 1) text += QStringLiteral("  ·  ") + tr("%1 repeats").arg(pass.repeats);
    const QString more = text + QStringLiteral("  ·  %1  ·  %2 gf  ·  %3")
                                    .arg(time_text(pass.seconds))
                                    .arg(std::lround(pass.force_gf))
                                    .arg(speed_text(pass.speed_mm_s, unit));
    for (const QString& words : {more, text}) {
      if (!label.words.isEmpty() || metrics.horizontalAdvance(words) >= block.width() - 14) continue;
      label = {block.adjusted(8, -1, 0, -2), words, true};
    }
    // Beside a short block: where there is room between the blocks of its lane and the lines of pauses.
    for (const QString& words : {more, text, role_name(pass)}) {
      if (!label.words.isEmpty()) break;
      if (const auto place = roomBeside(i, metrics.horizontalAdvance(words) + 8)) label = {*place, words, false};
    }
    labels_.push_back(std::move(label));
  }
}

std::optional<QRectF> Lanes::roomBeside(std::size_t pass, double width) const {
  constexpr double kAway = 3;
  const QRectF block = blockOf(static_cast<int>(pass) + 1);
  const auto& pauses = plan().pauses;
  // The first pause line that is not left of x.
  const auto pause_from = [&](double x) {
    return std::lower_bound(pauses.begin(), pauses.end(), x,
                            [&](const Pause& pause, double at) { return xOf(pause.start_s) < at; });
  };
  const auto& lane = in_lane_[static_cast<std::size_t>(lane_of_[pass])];
  const auto own = std::lower_bound(lane.begin(), lane.end(), pass);
  const auto free = [&](const QRectF& place) {
    if (place.left() < kLeft || place.right() > viewport()->width() - 8) return false;
    const auto meets = [&](const QRectF& other) { return other.adjusted(-kAway, 0, kAway, 0).intersects(place); };
    const auto line = pause_from(place.left() - kAway);
    if (line != pauses.end() && xOf(line->start_s) < place.right() + kAway) return false;
    // Along a lane passes come one after the other: those beside it as far as the words reach.
    for (auto other = own; other != lane.begin();) {
      const std::size_t j = *--other;
      if (meets(blockOf(static_cast<int>(j) + 1))) return false;
      if (j < labels_.size() && !labels_[j].words.isEmpty() && meets(labels_[j].place)) return false;
      if (blockOf(static_cast<int>(j) + 1).right() < place.left() - 400) break;
    }
    for (auto other = own + 1; other < lane.end(); ++other) {
      if (meets(blockOf(static_cast<int>(*other) + 1))) return false;
      if (blockOf(static_cast<int>(*other) + 1).left() > place.right() + kAway) break;
    }
    return true;
  };
  double right = block.right() + kAway;
  // Beyond the line at its end.
  for (auto line = pause_from(block.right() - 2 * kAway);
       line != pauses.end() && xOf(line->start_s) < block.right() + 2 * kAway; ++line)
    right = std::max(right, xOf(line->start_s) + 2 * kAway);
  for (const double x : {right, block.left() - width - kAway}) {
    const QRectF place(x, block.top() + 1, width, 18);
    if (free(place)) return place;
  }
  return std::nullopt;
}

void Lanes::resizeEvent(QResizeEvent*) { layOut(); }

void Lanes::scrollContentsBy(int, int) {
  arrangeLabels();
  viewport()->update();
}

void Lanes::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton || plan().passes.empty()) return;
  press_ = at_ = event->position();
  moved_ = false;
  const int pass = passAt(press_);
  if (pass > 0) {
    dragged_ = locked_ ? 0 : pass;
    weighed_.reset();
    cost_text_.clear();
    setCurrentPass(pass);
    emit passPicked(pass);
  } else if (press_.x() >= kLeft - 6 && !locked_) {
    scrubbing_ = true;
    setTime(secondsAt(press_.x()));
    emit scrubbed(time_);
  }
}

void Lanes::mouseMoveEvent(QMouseEvent* event) {
  at_ = event->position();
  if (scrubbing_) {
    setTime(secondsAt(at_.x()));
    emit scrubbed(time_);
  } else if (dragged_ > 0) {
    moved_ = moved_ || (at_ - press_).manhattanLength() > 6;
    if (moved_) weigh(dragged_, slotAt(dragged_, at_.x()));
    viewport()->update();
  } else {
    const int over = passAt(at_);
    viewport()->setCursor(over ? Qt::OpenHandCursor : Qt::ArrowCursor);
    if (over) {
      const Pass& pass = plan().passes[static_cast<std::size_t>(over) - 1];
      viewport()->setToolTip(tr("%1, %2: %3 gf, %4, %5")
                                 .arg(role_name(pass), tool_name(session_.project(), pass.tool))
                                 .arg(std::lround(pass.force_gf))
                                 .arg(speed_text(pass.speed_mm_s, session_.project().unit))
                                 .arg(time_text(pass.seconds)));
    } else {
      viewport()->setToolTip({});
    }
  }
}

void Lanes::mouseReleaseEvent(QMouseEvent* event) {
  const int pass = dragged_;
  dragged_ = 0;
  scrubbing_ = false;
  if (pass > 0 && moved_) drop(pass, event->position().x());
  moved_ = false;
  weighed_.reset();
  cost_text_.clear();
  viewport()->update();
}

void Lanes::mouseDoubleClickEvent(QMouseEvent* event) {
  const int pass = passAt(event->position());
  if (event->button() == Qt::LeftButton && pass > 0 && !locked_) {
    dragged_ = 0;
    editPass(pass);
  }
}

void Lanes::wheelEvent(QWheelEvent* event) {
  const QPoint turned = event->angleDelta();
  const auto modifiers = event->modifiers();
  if (modifiers & Qt::ControlModifier) {
    if (turned.y() != 0) zoomAt(event->position().x(), std::pow(1.25, turned.y() / 120.0));
  } else if (zoom_ > 1 && (turned.x() != 0 || modifiers & Qt::ShiftModifier)) {
    pan(-(turned.x() != 0 ? turned.x() : turned.y()) / 1200.0 * plan().seconds / zoom_);
    arrangeLabels();
    viewport()->update();
  } else {
    return QAbstractScrollArea::wheelEvent(event);
  }
  event->accept();
}

int Lanes::slotAt(int pass, double x) const {
  // Before the first other pass whose middle lies to the right.
  for (const auto& p : plan().passes) {
    if (p.index != pass && blockOf(p.index).center().x() > x) return p.index;
  }
  return 0;
}

void Lanes::drop(int pass, double x) {
  const Derived& derived = session_.derived();
  follow_ = plan().passes[static_cast<std::size_t>(pass) - 1].key;
  session_.commit(put_pass(session_.project(), derived.drawing, derived.plan, pass, slotAt(pass, x)),
                  tr("Reorder passes"));
}

void Lanes::weigh(int pass, int before) {
  if (weighed_ == before) return;
  weighed_ = before;
  cost_text_.clear();
  const int question = ++*weighing_;
  session_.aside([this, derived = session_.derivedHandle(), pass, before, question, latest = weighing_] {
    if (latest->load() != question) return std::function<void()>([] {});  // the hand is elsewhere by now
    const Project other = put_pass(derived->project, derived->drawing, derived->plan, pass, before);
    PlanChange change;
    if (!(other.plan.by_hand == derived->project.plan.by_hand))
      change = change_of(derived->plan, make_plan(other, derived->layout));
    return std::function<void()>([self = QPointer<Lanes>(this), change, question, derived] {
      if (!self || *self->weighing_ != question || self->dragged_ == 0) return;
      self->cost_text_ = self->textOf(change, derived->plan);
      self->viewport()->update();
    });
  });
}

QString Lanes::textOf(const PlanChange& change, const Plan& before) const {
  const auto sign = [](double by) { return by < 0 ? QChar(0x2212) : QLatin1Char('+'); };
  QStringList parts;
  const auto count = [&](int by, const QString& one, const QString& many) {
    if (by != 0) parts << sign(by) + counted(static_cast<std::size_t>(std::abs(by)), one, many);
  };
  count(change.mats, tr("mat"), tr("mats"));
  count(change.pauses, tr("pause"), tr("pauses"));
  if (std::abs(change.seconds) >= 1) parts << sign(change.seconds) + time_text(std::abs(change.seconds));
  for (const Reason& reason : change.broken) {
    const Pass& first = before.passes[reason.first];
    const Pass& second = before.passes[reason.second];
    parts << (reason.why == Why::ink
                  ? tr("%1 after %2 would be tainted")
                        .arg(tool_name(session_.project(), first.tool), tool_name(session_.project(), second.tool))
                  : tr("%1 before %2").arg(role_name(second.role), role_name(first.role)));
    if (parts.size() > 3) break;
  }
  parts.removeDuplicates();
  return parts.isEmpty() ? tr("costs nothing") : parts.join(QStringLiteral("  ·  "));
}

void Lanes::togglePin(int pass) {
  const Derived& derived = session_.derived();
  if (pass < 1 || pass > static_cast<int>(plan().passes.size())) return;
  const bool on = !plan().passes[static_cast<std::size_t>(pass) - 1].pinned;
  session_.commit(pin_pass(session_.project(), derived.drawing, derived.plan, pass, on),
                  on ? tr("Pin a pass") : tr("Let go of a pinned pass"));
}

void Lanes::editPass(int pass) {
  const QRectF block = blockOf(pass);
  auto* editor = new PassEditor(session_, plan().passes[static_cast<std::size_t>(pass) - 1], viewport());
  editor->adjustSize();
  const double x = std::clamp(block.left(), kLeft, std::max(kLeft, viewport()->width() - editor->width() - 8.0));
  const double y = std::clamp(block.top() - 4, 0.0, std::max(0.0, viewport()->height() - editor->height() - 2.0));
  editor->move(QPointF(x, y).toPoint());
  connect(editor, &QObject::destroyed, this, [this] { setFocus(); });
  editor->show();
  editor->begin();
}

void Lanes::scrubTo(double seconds) {
  setTime(std::clamp(seconds, 0.0, plan().seconds));
  if (const double x = xOf(time_); x < kLeft || x > kLeft + width()) {
    from_ = time_ - plan().seconds / zoom_ / 2;
    pan(0);
    arrangeLabels();
  }
  emit scrubbed(time_);
}

void Lanes::keyPressEvent(QKeyEvent* event) {
  const int count = static_cast<int>(plan().passes.size());
  if (count == 0) return QAbstractScrollArea::keyPressEvent(event);
  const double middle =
      time_ >= 0 && xOf(time_) >= kLeft && xOf(time_) <= kLeft + width() ? xOf(time_) : kLeft + width() / 2;
  switch (event->key()) {  // looking closer does no harm while it runs
    case Qt::Key_Plus:
    case Qt::Key_Equal:
      return zoomAt(middle, 1.25);
    case Qt::Key_Minus:
      return zoomAt(middle, 1 / 1.25);
    case Qt::Key_0:
      return zoomAt(middle, 1e-6);
    default:
      break;
  }
  if (locked_) return QAbstractScrollArea::keyPressEvent(event);
  const bool left = event->key() == Qt::Key_Left, right = event->key() == Qt::Key_Right;
  if ((left || right) && event->modifiers() & Qt::ControlModifier) {
    const int other = current_ + (left ? -1 : 1);
    if (current_ < 1 || other < 1 || other > count) return;
    drop(current_, blockOf(other).center().x() + (left ? -0.5 : 0.5));
  } else if (left || right) {
    const double step = plan().seconds / zoom_ / (event->modifiers() & Qt::ShiftModifier ? 20 : 200);
    scrubTo(std::max(time_, 0.0) + (left ? -step : step));
  } else if (event->key() == Qt::Key_Home || event->key() == Qt::Key_End) {
    scrubTo(event->key() == Qt::Key_Home ? 0 : plan().seconds);
  } else if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
    setCurrentPass(std::clamp(current_ + (event->key() == Qt::Key_Up ? -1 : 1), 1, count));
    const QRectF block = blockOf(current_);
    if (block.top() < kTop - 4)
      verticalScrollBar()->setValue(verticalScrollBar()->value() - static_cast<int>(kTop - block.top()));
    if (block.bottom() > viewport()->height())
      verticalScrollBar()->setValue(verticalScrollBar()->value() +
                                    static_cast<int>(block.bottom() - viewport()->height()) + 4);
    emit passPicked(current_);
  } else if (event->key() == Qt::Key_H && event->modifiers() == Qt::NoModifier) {
    togglePin(current_);
  } else if ((event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter) && current_ > 0) {
    editPass(current_);
  } else if (event->key() == Qt::Key_Escape) {
    if (dragged_ > 0) {  // put back where it was
      dragged_ = 0, moved_ = false;
      cost_text_.clear();
      viewport()->update();
      return;
    }
    setTime(-1);
    emit scrubbed(-1);
  } else {
    QAbstractScrollArea::keyPressEvent(event);
  }
}

}  // namespace dotlane
