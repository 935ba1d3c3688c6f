#include "app/lanes.hpp"

#include <QKeyEvent>
#include <QLocale>
#include <QPainter>
#include <QPainterPath>
#include <QScrollBar>
#include <cmath>
#include <map>
#include <optional>

#include "app/style.hpp"
#include "app/units.hpp"
#include "core/plan/by_hand.hpp"
#include "render/role_style.hpp"

namespace dotlane {
namespace {

constexpr double kLeft = 270, kRight = 28, kTop = 44, kLane = 29;

double axis_step(double seconds, double width) {
  static constexpr double steps[] = {1, 2, 5, 10, 15, 30, 60, 120, 300, 600, 1800, 3600, 7200, 14400};
  for (const double s : steps) {
    if (s / seconds * width >= 64) return s;
  }
  return 36000;
}

}  // namespace

Lanes::Lanes(Session& session, QWidget* parent) : QAbstractScrollArea(parent), session_(session) {
  setObjectName(QStringLiteral("lanes"));
  setAccessibleName(tr("Lanes: the passes along time"));
  setAccessibleDescription(
      tr("Left and right move the play head, up and down pick a pass, Ctrl with left or right moves it earlier or "
         "later."));
  set_kind(this, "bottom");
  setFrameShape(QFrame::NoFrame);
  setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  viewport()->setMouseTracking(true);
  setFocusPolicy(Qt::StrongFocus);
  connect(&session_, &Session::derivedChanged, this, &Lanes::layOut);
}

void Lanes::layOut() {
  // A lane for every tool put into a holder, until it is taken out again.
  lane_of_.clear();
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
    lanes_ += fresh;
    lane_of_.push_back(lane->second);
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
  if (time_ > plan().seconds) time_ = -1;
  const int content = viewport()->height() < kTop + 10 ? 0 : static_cast<int>(kTop + kLane * lanes_ + 6);
  verticalScrollBar()->setRange(0, std::max(0, content - viewport()->height()));
  verticalScrollBar()->setPageStep(viewport()->height());
  viewport()->update();
}

void Lanes::setCurrentPass(int index) {
  current_ = index;
  viewport()->update();
}

void Lanes::setTime(double seconds) {
  time_ = seconds;
  viewport()->update();
}

double Lanes::xOf(double seconds) const {
  const double width = viewport()->width() - kLeft - kRight;
  return kLeft + (plan().seconds > 0 ? seconds / plan().seconds * width : 0);
}

double Lanes::secondsAt(double x) const {
  const double width = viewport()->width() - kLeft - kRight;
  return std::clamp((x - kLeft) / width, 0.0, 1.0) * plan().seconds;
}

QRectF Lanes::blockOf(int pass) const {
  const auto i = static_cast<std::size_t>(pass - 1);
  if (pass < 1 || i >= lane_of_.size()) return {};
  const Pass& p = plan().passes[i];
  const double y = kTop + kLane * lane_of_[i] - verticalScrollBar()->value();
  return {xOf(p.start_s), y, std::max(4.0, xOf(p.start_s + p.seconds) - xOf(p.start_s)), 22};
}

int Lanes::passAt(QPointF at) const {
  for (int i = 1; i <= static_cast<int>(lane_of_.size()); ++i) {
    if (blockOf(i).adjusted(-4, -2, 4, 3).contains(at)) return i;
    QRectF label = blockOf(i);
    label.setLeft(0);
    label.setRight(kLeft - 10);
    if (label.contains(at)) return i;
  }
  return 0;
}

std::vector<double> Lanes::pauseLines() const {
  std::vector<double> out;
  for (const auto& pause : plan().pauses) out.push_back(xOf(pause.start_s));
  return out;
}

std::vector<Lanes::Label> Lanes::labels() const {
  const auto& passes = plan().passes;
  const LengthUnit unit = session_.project().unit;
  const QFontMetrics metrics(ui_font(11.5));
  std::vector<Label> out;
  for (std::size_t i = 0; i < passes.size(); ++i) {
    const Pass& pass = passes[i];
    const QRectF block = blockOf(static_cast<int>(i) + 1);
    QString text = QStringLiteral("%1 %2").arg(role_name(pass.role), run_length_text(pass.length_mm, unit));
    if (pass.repeats > 1) text += QStringLiteral("  ·  ") + tr("%1 repeats").arg(pass.repeats);
    const QString more = text + QStringLiteral("  ·  %1  ·  %2 gf  ·  %3")
                                    .arg(time_text(pass.seconds))
                                    .arg(std::lround(pass.force_gf))
                                    .arg(speed_text(pass.speed_mm_s, unit));
    Label label;
    for (const QString& words : {more, text}) {
      if (!label.words.isEmpty() || metrics.horizontalAdvance(words) >= block.width() - 14) continue;
      label = {block.adjusted(8, -1, 0, -2), words, true};
    }
    // Beside a short block: where there is room between the blocks of its lane and the lines of pauses.
    for (const QString& words : {more, text, role_name(pass.role)}) {
      if (!label.words.isEmpty()) break;
      if (const auto place = roomBeside(i, metrics.horizontalAdvance(words) + 8, out)) label = {*place, words, false};
    }
    out.push_back(std::move(label));
  }
  return out;
}

std::optional<QRectF> Lanes::roomBeside(std::size_t pass, double width, const std::vector<Label>& taken) const {
  constexpr double kAway = 3;
  const QRectF block = blockOf(static_cast<int>(pass) + 1);
  const auto lines = pauseLines();
  const auto free = [&](const QRectF& place) {
    if (place.left() < kLeft || place.right() > viewport()->width() - 8) return false;
    const auto meets = [&](const QRectF& other) { return other.adjusted(-kAway, 0, kAway, 0).intersects(place); };
    for (const double x : lines) {
      if (x > place.left() - kAway && x < place.right() + kAway) return false;
    }
    for (std::size_t j = 0; j < lane_of_.size(); ++j) {
      if (j != pass && lane_of_[j] == lane_of_[pass] && meets(blockOf(static_cast<int>(j) + 1))) return false;
    }
    return std::none_of(taken.begin(), taken.end(),
                        [&](const Label& other) { return !other.words.isEmpty() && meets(other.place); });
  };
  double right = block.right() + kAway;
  for (const double x : lines) {  // beyond the line at its end
    if (std::abs(x - block.right()) < 2 * kAway) right = std::max(right, x + 2 * kAway);
  }
  for (const double x : {right, block.left() - width - kAway}) {
    const QRectF place(x, block.top() + 1, width, 18);
    if (free(place)) return place;
  }
  return std::nullopt;
}

void Lanes::paintEvent(QPaintEvent*) {
  QPainter p(viewport());
  const Theme& t = theme();
  p.fillRect(viewport()->rect(), t.panel);
  p.setRenderHint(QPainter::Antialiasing);
  const Project& project = session_.project();
  const Plan& plan_now = plan();
  const double height = viewport()->height();
  if (plan_now.passes.empty()) {
    p.setFont(ui_font(13, true));
    p.setPen(t.quiet);
    p.drawText(QPointF(16, 24), tr("Lanes"));
    p.setFont(ui_font(13));
    p.drawText(QRectF(0, 0, viewport()->width(), height), Qt::AlignCenter,
               project.pieces.empty()
                   ? tr("The passes appear here, along time, as soon as lines have roles.")
                   : tr("No line has a role that a tool carries out. Select lines and give them one."));
    return;
  }
  // Head line and axis.
  const auto& passes = plan_now.passes;
  p.setFont(ui_font(13, true));
  p.setPen(t.quiet);
  p.drawText(QPointF(16, 24), tr("Lanes"));
  p.setFont(ui_font(12.5));
  p.setPen(t.ink);
  p.drawText(QRectF(66, 8, kLeft - 80, 22), Qt::AlignVCenter,
             QStringLiteral("%1  ·  %2  ·  %3")
                 .arg(counted(passes.size(), tr("pass"), tr("passes")),
                      counted(plan_now.pauses.size(), tr("pause"), tr("pauses")), time_text(plan_now.seconds)));
  if (height < kTop + 10) {  // folded: one line, all passes in a row
    for (const auto& pass : passes) {
      const QRectF block(xOf(pass.start_s), 12, std::max(2.0, xOf(pass.start_s + pass.seconds) - xOf(pass.start_s)),
                         12);
      QColor fill = role_color(pass.role, t.dark);
      fill.setAlpha(90);
      p.setPen(Qt::NoPen);
      p.setBrush(fill);
      p.drawRoundedRect(block, 3, 3);
    }
    p.setBrush(t.hands);
    for (const auto& pause : plan_now.pauses) p.drawEllipse(QPointF(xOf(pause.start_s), 18), 3.5, 3.5);
    return;
  }
  const double step = axis_step(plan_now.seconds, viewport()->width() - kLeft - kRight);
  p.setFont(ui_font(10.5));
  QColor grid = t.hairline;
  grid.setAlpha(150);
  for (double s = 0; s <= plan_now.seconds + 1e-6; s += step) {
    const double x = xOf(s);
    p.setPen(QPen(grid, 1));
    p.drawLine(QPointF(x, kTop - 8), QPointF(x, height - 4));
    p.setPen(t.quiet);
    const QString label = step < 60 ? (s < 60 ? QStringLiteral("%1 s").arg(s)
                                              : QStringLiteral("%1:%2")
                                                    .arg(static_cast<int>(s) / 60)
                                                    .arg(static_cast<int>(s) % 60, 2, 10, QLatin1Char('0')))
                                    : (s == 0 ? tr("0 min") : QLocale().toString(s / 60, 'f', 0));
    p.drawText(QRectF(x - 30, 16, 60, 16), Qt::AlignCenter, label);
  }
  QColor span = t.hands;
  span.setAlphaF(t.dark ? 0.16F : 0.1F);
  for (const auto& pause : plan_now.pauses) {
    // From where the head has stopped, as long as hands take.
    const double x = xOf(pause.start_s);
    p.fillRect(QRectF(QPointF(x, kTop - 2), QPointF(xOf(pause.start_s + pause.seconds), height - 6)), span);
    QPen dash(t.hands, 1.4, Qt::CustomDashLine);
    dash.setDashPattern({2, 2});
    p.setPen(dash);
    p.drawLine(QPointF(x, kTop - 2), QPointF(x, height - 6));
    p.setPen(QPen(t.panel, 2));
    p.setBrush(t.hands);
    p.drawEllipse(QPointF(x, kTop + 1), 6, 6);
  }
  // Lanes scroll below the axis.
  p.save();
  p.setClipRect(QRectF(0, kTop - 6, viewport()->width(), height));
  for (std::size_t i = 0; i < passes.size(); ++i) {
    const Pass& pass = passes[i];
    const QRectF block = blockOf(static_cast<int>(i) + 1);
    const Tool* tool = find_tool(project, pass.tool);
    const QColor color = line_color(pass.role, tool ? tool->ink : Color{}, to_color(t.panel));
    const bool first =
        std::find(lane_of_.begin(), lane_of_.end(), lane_of_[i]) - lane_of_.begin() == static_cast<std::ptrdiff_t>(i);
    if (first) {
      const double y = block.center().y();
      paint_holder(p, QRectF(16, y - 10, 20, 20), pass.holder, t);
      paint_role_glyph(p, {51, y}, pass.role, color, 10);
      p.setFont(ui_font(12.5));
      p.setPen(t.ink);
      p.drawText(
          QRectF(66, y - 11, kLeft - 84, 22), Qt::AlignVCenter,
          p.fontMetrics().elidedText(tool_name(project, pass.tool), Qt::ElideRight, static_cast<int>(kLeft) - 84));
      QPen dots(t.hairline, 1, Qt::CustomDashLine);
      dots.setDashPattern({1, 5});
      p.setPen(dots);
      p.drawLine(QPointF(kLeft, y), QPointF(viewport()->width() - kRight, y));
    }
    QColor wash = color;
    wash.setAlphaF(t.dark ? 0.28F : 0.17F);
    p.setPen(Qt::NoPen);
    p.setBrush(t.panel);
    p.drawRoundedRect(block, 4, 4);
    p.setBrush(wash);
    p.drawRoundedRect(block, 4, 4);
    // The role's pattern along the foot of the block.
    QPen foot = role_pen(pass.role, color);
    foot.setWidthF(std::min(2.2, foot.widthF() + 0.4));
    p.setBrush(Qt::NoBrush);
    if (pass.role == Role::foil) {
      foot.setWidthF(1.2);
      p.setPen(foot);
      p.drawLine(block.bottomLeft() - QPointF(0, 3.5), block.bottomRight() - QPointF(0, 3.5));
    }
    p.setPen(foot);
    p.drawLine(block.bottomLeft() - QPointF(0, 0.5), block.bottomRight() - QPointF(0, 0.5));
    if (static_cast<int>(i) + 1 == current_) {
      p.setPen(QPen(t.accent, 1.6));
      p.drawRoundedRect(block.adjusted(-1.5, -1.5, 1.5, 1.5), 5, 5);
    }
  }
  p.setFont(ui_font(11.5));
  for (const auto& label : labels()) {
    if (!label.inside) {
      p.fillRect(label.place, t.panel);
      for (const auto& pause : plan_now.pauses) {
        const QRectF over(QPointF(xOf(pause.start_s), kTop - 2),
                          QPointF(xOf(pause.start_s + pause.seconds), height - 6));
        if (over.intersects(label.place)) p.fillRect(over.intersected(label.place), span);
      }
    }
    p.setPen(t.ink);
    p.drawText(label.place, label.inside ? Qt::AlignVCenter : Qt::AlignCenter, label.words);
  }
  p.restore();

  if (time_ >= 0) {
    const double x = xOf(time_);
    p.setPen(QPen(t.ink, 1.4));
    p.drawLine(QPointF(x, 34), QPointF(x, height - 4));
    p.setPen(Qt::NoPen);
    p.setBrush(t.ink);
    p.drawPolygon(QPolygonF{QPointF(x - 6, 30), QPointF(x + 6, 30), QPointF(x, 38)});
    p.setFont(ui_font(10.5, true));
    const QString now = QStringLiteral("%1:%2")
                            .arg(static_cast<int>(time_) / 60)
                            .arg(static_cast<int>(time_) % 60, 2, 10, QLatin1Char('0'));
    const QRectF tag(x - 20, 13, 40, 17);
    p.setBrush(t.ink);
    p.drawRoundedRect(tag, 5, 5);
    p.setPen(t.panel);
    p.drawText(tag, Qt::AlignCenter, now);
  }
  if (dragged_ > 0 && moved_) {
    p.setPen(QPen(t.accent, 2));
    p.drawLine(QPointF(at_.x(), kTop - 4), QPointF(at_.x(), height - 4));
  }
  if (hasFocus()) {
    p.setRenderHint(QPainter::Antialiasing, false);
    p.setPen(QPen(t.accent, 2));
    p.setBrush(Qt::NoBrush);
    p.drawRect(viewport()->rect().adjusted(1, 1, -1, -1));
  }
}

void Lanes::resizeEvent(QResizeEvent*) { layOut(); }

void Lanes::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton || plan().passes.empty()) return;
  press_ = at_ = event->position();
  moved_ = false;
  const int pass = passAt(press_);
  if (pass > 0) {
    dragged_ = locked_ ? 0 : pass;
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
    viewport()->update();
  } else {
    const int over = passAt(at_);
    viewport()->setCursor(over ? Qt::OpenHandCursor : Qt::ArrowCursor);
    if (over) {
      const Pass& pass = plan().passes[static_cast<std::size_t>(over) - 1];
      viewport()->setToolTip(tr("%1, %2: %3 gf, %4, %5")
                                 .arg(role_name(pass.role), tool_name(session_.project(), pass.tool))
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
  viewport()->update();
}

void Lanes::drop(int pass, double x) {
  // Before the first other pass whose middle lies to the right.
  int before = 0;
  for (const auto& p : plan().passes) {
    if (p.index == pass || blockOf(p.index).center().x() <= x) continue;
    before = p.index;
    break;
  }
  const Derived& derived = session_.derived();
  follow_ = plan().passes[static_cast<std::size_t>(pass) - 1].key;
  session_.commit(put_pass(session_.project(), derived.drawing, derived.plan, pass, before), tr("Reorder passes"));
}

void Lanes::keyPressEvent(QKeyEvent* event) {
  const int count = static_cast<int>(plan().passes.size());
  if (count == 0 || locked_) return QAbstractScrollArea::keyPressEvent(event);
  const bool left = event->key() == Qt::Key_Left, right = event->key() == Qt::Key_Right;
  if ((left || right) && event->modifiers() & Qt::ControlModifier) {
    const int other = current_ + (left ? -1 : 1);
    if (current_ < 1 || other < 1 || other > count) return;
    drop(current_, blockOf(other).center().x() + (left ? -0.5 : 0.5));
  } else if (left || right) {
    const double step = plan().seconds / (event->modifiers() & Qt::ShiftModifier ? 20 : 200);
    setTime(std::clamp(std::max(time_, 0.0) + (left ? -step : step), 0.0, plan().seconds));
    emit scrubbed(time_);
  } else if (event->key() == Qt::Key_Up || event->key() == Qt::Key_Down) {
    setCurrentPass(std::clamp(current_ + (event->key() == Qt::Key_Up ? -1 : 1), 1, count));
    emit passPicked(current_);
  } else if (event->key() == Qt::Key_Escape) {
    setTime(-1);
    emit scrubbed(-1);
  } else {
    QAbstractScrollArea::keyPressEvent(event);
  }
}

}  // namespace dotlane
