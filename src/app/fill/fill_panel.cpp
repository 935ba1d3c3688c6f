#include "app/fill/fill_panel.hpp"

#include <QGridLayout>
#include <QLocale>
#include <QPointer>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text_scan.hpp"
#include "render/role_style.hpp"

namespace dotlane {
namespace {

constexpr int kPauseMs = 120;  // after the last change, before figures are worked out
constexpr double kWantedPercent = 95;
constexpr double kTriedUnasked = 3e4;  // strokes up to which every angle is tried without being asked

QString number(double v, int decimals) { return QLocale().toString(v, 'f', decimals); }

/// "0.16 mm": fine lengths, in mm whatever the project's unit, as tips are.
QString hundredths(double mm) { return number(mm, 2) + QStringLiteral(" mm"); }

QString way_name(const WayChoice& way) {
  using Kind = WayChoice::Kind;
  switch (way.kind) {
    case Kind::as_it_is:
      return QObject::tr("as it is");
    case Kind::joined:
      return QObject::tr("ends joined");
    case Kind::closer:
      return QObject::tr("strokes %1 apart").arg(hundredths(way.options.spacing));
    case Kind::shifted_coat:
      return QObject::tr("2nd pass, half a step on");
    case Kind::turned_coat:
      return QObject::tr("2nd pass, turned by 90°");
    case Kind::again_by_pass:
      return QObject::tr("%1×, whole pass each time").arg(way.way.repeats);
    default:
      return QObject::tr("%1×, stroke by stroke").arg(way.way.repeats);
  }
}

bool same_run(const FillRun& a, const FillRun& b) {
  return a.way.repeats == b.way.repeats && a.way.stroke_by_stroke == b.way.stroke_by_stroke &&
         a.way.speed_mm_s == b.way.speed_mm_s && a.tip_mm == b.tip_mm && a.machine == b.machine;
}

/// Whether the curve over the angles would be another one.
bool same_but_for_angle(const FillMade& a, const FillMade& b) {
  FillOptions x = a.options, y = b.options;
  x.angle = y.angle = 0;
  return x == y && a.region.rings == b.region.rings;
}

}  // namespace

FillPanel::FillPanel(Session& session, int piece, int step, QWidget* parent)
    : QWidget(parent), session_(session), piece_(piece), step_(step) {
  setObjectName(QStringLiteral("fillPanel"));
  setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);  // the column gives the width
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 2, 0, 4);
  column->setSpacing(6);
  buildFigures(column);
  buildAdvice(column);
  timer_.setSingleShot(true);
  timer_.setInterval(kPauseMs);
  connect(&timer_, &QTimer::timeout, this, &FillPanel::work);
  connect(dial_, &FillDial::angleEdited, this, [this](double v) {
    curve_->setAngle(v - turned_);
    emit edited("angle", v);
  });
  connect(dial_, &FillDial::spacingEdited, this, [this](double v) { emit edited("spacing", v); });
  connect(dial_, &FillDial::committed, this, &FillPanel::committed);
  connect(curve_, &AngleCurve::picked, this, &FillPanel::turnTo);
  connect(&session_, &Session::derivedChanged, this, &FillPanel::follow);
}

FillPanel::~FillPanel() {
  for (const auto& stop : {figures_stop_, curve_stop_, widest_stop_, ways_stop_}) {
    if (stop) *stop = true;
  }
}

void FillPanel::buildFigures(QVBoxLayout* column) {
  auto* top = new QHBoxLayout;
  top->setSpacing(8);
  dial_ = new FillDial(this);
  top->addWidget(dial_, 0, Qt::AlignTop);
  auto* grid = new QGridLayout;
  grid->setHorizontalSpacing(4);
  grid->setVerticalSpacing(0);
  auto row = [&](const QString& label, const char* object, QLabel** name = nullptr) {
    const int at = grid->rowCount();
    auto* value = make_label({}, "name", this);
    value->setObjectName(QString::fromLatin1(object));
    value->setWordWrap(false);
    value->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
    auto* words = make_label(label, "quiet", this);
    words->setWordWrap(false);
    if (name) *name = words;
    grid->addWidget(words, at, 0);
    grid->addWidget(value, at, 1);
    return value;
  };
  covered_ = row(tr("covered"), "fillCovered");
  time_ = row(tr("time"), "fillTime", &time_label_);
  lifts_ = row(tr("lifts"), "fillLifts");
  length_ = row(tr("length"), "fillLength");
  gap_ = row(tr("gap"), "fillGap");
  gap_->setToolTip(tr("The largest round spot that stays bare"));
  grid->setColumnStretch(0, 1);
  top->addLayout(grid, 1);
  column->addLayout(top);
}

void FillPanel::buildAdvice(QVBoxLayout* column) {
  curve_ = new AngleCurve(this);
  column->addWidget(curve_);
  auto* row = new QHBoxLayout;
  row->setSpacing(6);
  goal_ = new QComboBox(this);
  goal_->setObjectName(QStringLiteral("fillGoal"));
  goal_->setAccessibleName(tr("What the best angle is judged by"));
  goal_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
  goal_->setMinimumContentsLength(6);
  goal_->addItem(tr("fastest"), static_cast<int>(AngleGoal::time));
  goal_->addItem(tr("fewest lifts"), static_cast<int>(AngleGoal::lifts));
  goal_->addItem(tr("thin parts"), static_cast<int>(AngleGoal::thin));
  best_ = new QPushButton(tr("Turn to the best"), this);
  best_->setObjectName(QStringLiteral("fillBest"));
  set_kind(best_, "chip");
  best_->setToolTip(
      tr("The angle that leaves no shape empty, reaches the coverage wanted and is best by this measure"));
  row->addWidget(best_, 1);
  row->addWidget(goal_, 1);
  column->addLayout(row);
  auto* second = new QHBoxLayout;
  second->setSpacing(6);
  widest_ = new QPushButton(tr("Widest spacing for"), this);
  widest_->setObjectName(QStringLiteral("fillWidest"));
  set_kind(widest_, "chip");
  wanted_ = new NumberField(tr("Coverage wanted"), NumberField::Kind::plain, this, QStringLiteral("%"), 0);
  wanted_->setObjectName(QStringLiteral("fillWanted"));
  wanted_->setRange(1, 100);
  wanted_->setValue(kWantedPercent);
  second->addWidget(widest_, 1);
  second->addWidget(wanted_, 1);
  column->addLayout(second);
  compare_ = new QPushButton(tr("Compare ways to go over it"), this);
  compare_->setObjectName(QStringLiteral("fillCompare"));
  set_kind(compare_, "chip");
  compare_->setToolTip(
      tr("Passes, repeats and denser strokes side by side: minutes, and what landing errors leave bare"));
  column->addWidget(compare_);
  ways_ = new QWidget(this);
  ways_->setObjectName(QStringLiteral("fillWays"));
  ways_->hide();
  column->addWidget(ways_);
  picture_ = new LandingPicture(this);
  picture_->hide();
  column->addWidget(picture_);
  connect(best_, &QPushButton::clicked, this, &FillPanel::turnToBest);
  connect(widest_, &QPushButton::clicked, this, &FillPanel::widen);
  connect(compare_, &QPushButton::clicked, this, &FillPanel::compare);
  connect(goal_, &QComboBox::activated, this, [this] {
    tried_.reset();
    timer_.start();
  });
  connect(wanted_, &NumberField::committed, this, [this] {
    tried_.reset();
    timer_.start();
  });
}

std::optional<FillSubject> FillPanel::subject() const {
  const DrawnPiece* drawn = find_drawn(session_.drawing(), piece_);
  return drawn ? fill_subject(session_.project(), *drawn, step_) : std::nullopt;
}

std::pair<QColor, QColor> FillPanel::colors(const FillSubject& subject) const {
  const Piece* piece = find_piece(session_.project(), piece_);
  const Stock* stock = piece ? find_stock(session_.project(), piece->stock) : nullptr;
  const Tool* tool = find_tool(session_.project(), subject.tool);
  return {tool ? mark_color(*tool, subject.role, stock) : theme().ink, stock ? to_qcolor(stock->color) : theme().field};
}

template <class Result>
void FillPanel::aside(std::shared_ptr<std::atomic<bool>>& stop, std::function<Result(const std::atomic<bool>&)> work,
                      std::function<void(Result)> done) {
  if (stop) *stop = true;
  stop = std::make_shared<std::atomic<bool>>(false);
  session_.aside([work = std::move(work), done = std::move(done), flag = stop,
                  panel = QPointer<FillPanel>(this)]() -> std::function<void()> {
    auto result = std::make_shared<Result>(work(*flag));
    return [result, done, flag, panel] {
      if (panel && !*flag) done(std::move(*result));
    };
  });
}

void FillPanel::showEvent(QShowEvent* event) {
  QWidget::showEvent(event);
  follow();
}

void FillPanel::follow() {
  const auto now = subject();
  for (QWidget* w : {static_cast<QWidget*>(dial_), static_cast<QWidget*>(best_), static_cast<QWidget*>(widest_),
                     static_cast<QWidget*>(compare_)})
    w->setEnabled(now.has_value());
  if (!now) {
    figures_.reset();
    shown_.reset();
    showFigures();
    return;
  }
  // The dial shows the values as they are set; a first look may be coarser.
  for (const auto& step : find_piece(session_.project(), piece_)->steps) {
    if (step.id != step_) continue;
    const auto [ink, ground] = colors(*now);
    const FillOptions set = fill_options(Reading(*find_kind(step_kinds(), "fill"), step.values), 0);
    dial_->show(set, now->run.tip_mm, ink, ground);
    // An angle that counts on the mat is another one on the piece, where the curve is drawn.
    turned_ = set.angle - now->made->options.angle;
    curve_->setAngle(now->made->options.angle);
  }
  if (compared_ != now->made) ways_->hide(), picture_->hide();
  const bool current = shown_ == now->made && same_run(shown_run_, now->run) && figures_;
  if (!current && isVisible() && !now->made->coarse) timer_.start();
}

void FillPanel::showFigures() {
  const LengthUnit unit = session_.project().unit;
  if (!figures_) {
    for (QLabel* l : {covered_, time_, lifts_, length_, gap_}) l->setText(QStringLiteral("–"));
    time_label_->setText(tr("time"));
    return;
  }
  const FillFigures& f = *figures_;
  covered_->setText(number(f.coverage.share * 100, 1) + QStringLiteral(" %"));
  covered_->setToolTip(tr("%1 mm² of ink beyond the edge; counted in cells of %2 mm")
                           .arg(number(f.coverage.outside_mm2, 1), number(f.coverage.cell_mm, 3)));
  time_->setText(time_text(f.cost.seconds));
  time_label_->setText(shown_run_.way.repeats > 1 ? tr("time %1×").arg(shown_run_.way.repeats) : tr("time"));
  lifts_->setText(QLocale().toString(static_cast<qulonglong>(f.cost.lifts)));
  length_->setText(run_length_text(f.cost.length_mm, unit));
  const bool inch = unit == LengthUnit::inch;
  gap_->setText(number(f.coverage.largest_gap_mm / (inch ? kMmPerInch : 1), inch ? 3 : 2) + QChar(' ') +
                unit_word(unit));
}

void FillPanel::work() {
  const auto now = subject();
  if (!now || now->made->coarse) return;
  aside<FillFigures>(
      figures_stop_, [now = *now](const std::atomic<bool>&) { return figures_of(now); },
      [this, now = *now](FillFigures figures) {
        figures_ = std::move(figures);
        shown_ = now.made;
        shown_run_ = now.run;
        showFigures();
      });
  if (tried_ && same_but_for_angle(*tried_, *now->made) && same_run(tried_run_, now->run)) return;
  curve_->show({});
  if (expected_strokes(now->made->region, now->made->options) > kTriedUnasked) {
    curve_->say(tr("very many strokes: “Turn to the best” tries every angle when asked"));
    return;
  }
  tryAngles(false);
}

void FillPanel::tryAngles(bool turn) {
  const auto now = subject();
  if (!now) return;
  curve_->say(tr("trying every angle…"));
  const auto goal = static_cast<AngleGoal>(goal_->currentData().toInt());
  const double wanted = wanted_->value() / 100;
  aside<AngleAdvice>(
      curve_stop_,
      [now = *now, goal, wanted](const std::atomic<bool>& stop) {
        return best_angle(now.made->region, now.made->options, now.run, wanted, goal, 5, &stop);
      },
      [this, now = *now, turn](AngleAdvice advice) {
        tried_ = now.made;
        tried_run_ = now.run;
        curve_->say(tr("this pattern has no angle"));
        curve_->show(std::move(advice));
        if (turn) turnToBest();
      });
}

void FillPanel::turnToBest() {
  const auto& advice = curve_->advice();
  const auto now = subject();
  if (!now) return;
  const bool known = tried_ && same_but_for_angle(*tried_, *now->made) && same_run(tried_run_, now->run);
  if (!known) return tryAngles(true);
  if (advice.curve.empty()) {
    emit refused(tr("This pattern has no angle to turn to."));
    return;
  }
  turnTo(advice.curve[advice.best].options.angle);
}

void FillPanel::turnTo(double angle) {
  emit edited("angle", angle + turned_);
  emit committed();
}

void FillPanel::widen() {
  const auto now = subject();
  if (!now) return;
  widest_->setEnabled(false);
  const double wanted = wanted_->value() / 100;
  aside<std::optional<double>>(
      widest_stop_,
      [now = *now, wanted](const std::atomic<bool>&) {
        return widest_spacing(now.made->region, now.made->options, now.run.tip_mm, wanted);
      },
      [this, wanted](std::optional<double> spacing) {
        widest_->setEnabled(true);
        if (!spacing) {
          emit refused(tr("No spacing covers %1 %: the inset keeps too much clear.").arg(number(wanted * 100, 0)));
          return;
        }
        emit edited("spacing", *spacing);
        emit committed();
      });
}

void FillPanel::compare() {
  const auto now = subject();
  if (!now) return;
  compare_->setText(tr("Comparing…"));
  struct Compared {
    std::vector<WayChoice> ways;
    LandingTrial landed;
  };
  const double scatter = session_.project().machine.landing_mm;
  aside<Compared>(
      ways_stop_,
      [now = *now, scatter](const std::atomic<bool>& stop) {
        return Compared{compare_ways(now.made->region, now.made->options, now.run, scatter, &stop),
                        land(now.made->region, now.made->coats, {scatter, now.run.tip_mm, 1, 1})};
      },
      [this, now = *now](Compared compared) {
        compare_->setText(tr("Compare ways to go over it"));
        compared_ = now.made;
        showWays(compared.ways, now);
        const auto [ink, ground] = colors(now);
        picture_->show(now.made->region, std::move(compared.landed.fallen), now.made->parts.front().at, now.run.tip_mm,
                       ink, ground);
        picture_->setVisible(true);
      });
}

void FillPanel::showWays(const std::vector<WayChoice>& ways, const FillSubject& subject) {
  delete ways_->layout();
  for (auto* child : ways_->findChildren<QWidget*>(QString(), Qt::FindDirectChildrenOnly)) child->deleteLater();
  auto* grid = new QGridLayout(ways_);
  grid->setContentsMargins(0, 0, 0, 0);
  grid->setHorizontalSpacing(6);
  grid->setVerticalSpacing(0);
  auto cell = [&](const QString& text, const char* kind, int row) {
    auto* label = make_label(text, kind, ways_);
    label->setWordWrap(false);
    grid->addWidget(label, row, 0, 1, row == 0 ? 2 : 1);
    return label;
  };
  cell(tr("landing off by %1 each lift").arg(hundredths(session_.project().machine.landing_mm)), "quiet", 0);
  for (std::size_t i = 0; i < ways.size(); ++i) {
    const int row = 2 * static_cast<int>(i) + 1;
    const WayChoice& way = ways[i];
    cell(way_name(way), "name", row);
    cell(tr("%1  ·  %2 mm² bare").arg(time_text(way.cost.seconds), number(way.gap_mm2, 1)), "quiet", row + 1)
        ->setToolTip(tr("Of %1 mm² that it covers when nothing is off; %2 mm² get ink twice instead")
                         .arg(number(way.share * area_of(subject.made->region), 0), number(way.overlap_mm2, 1)));
    grid->setRowMinimumHeight(row + 1, 20);
    if (i == 0) continue;
    auto* button = new QPushButton(tr("Use"), ways_);
    button->setObjectName(QStringLiteral("useWay-%1").arg(static_cast<int>(way.kind)));
    button->setAccessibleName(tr("Use: %1").arg(way_name(way)));
    set_kind(button, "chip");
    grid->addWidget(button, row, 1, 2, 1, Qt::AlignVCenter);
    connect(button, &QPushButton::clicked, this, [this, way] { use(way); });
  }
  grid->setColumnStretch(0, 1);
  ways_->show();
}

void FillPanel::use(const WayChoice& way) {
  const auto now = subject();
  const Piece* piece = find_piece(session_.project(), piece_);
  if (!now || !piece) return;
  Project next = session_.project();
  // Only what the way changes; the angle may be counted on the mat and stays as it is set.
  const Values before = values_of(now->made->options, 0), after = values_of(way.options, 0);
  for (const auto& [key, value] : after) {
    if (before.contains(key) && before.at(key) == value) continue;
    auto changed = set_step_value(next, piece_, step_, key, value);
    if (changed) next = std::move(*changed);
  }
  std::vector<LineRef> lines;
  for (const auto& id : now->made->lines) lines.push_back({piece_, id});
  if (way.way.repeats != now->run.way.repeats) next = set_repeats(std::move(next), lines, way.way.repeats);
  if (way.way.stroke_by_stroke != now->run.way.stroke_by_stroke)
    next = set_stroke_by_stroke(std::move(next), lines, way.way.stroke_by_stroke);
  ways_->hide();
  picture_->hide();
  session_.commit(std::move(next), tr("Fill: %1").arg(way_name(way)));
}

}  // namespace dotlane
