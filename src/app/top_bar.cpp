#include "app/top_bar.hpp"

#include <QHBoxLayout>
#include <QMenu>
#include <QPainter>

#include "app/style.hpp"
#include "app/units.hpp"
#include "core/check/checks.hpp"

namespace dotlane {
namespace {

/// Three dots in a lane: the mark of the program.
class Emblem : public QWidget {
 public:
  explicit Emblem(QWidget* parent) : QWidget(parent) { setFixedSize(28, 20); }

 protected:
  void paintEvent(QPaintEvent*) override {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(Qt::NoPen);
    const QColor colors[] = {theme().accent, theme().hands, theme().dark ? QColor("#E4EBE4") : QColor("#22433A")};
    for (int i = 0; i < 3; ++i) {
      p.setBrush(colors[i]);
      p.drawEllipse(QPointF(5 + 8 * i, height() / 2.0), 3.2, 3.2);
    }
  }
};

/// One half of the unit switch.
class Half : public QAbstractButton {
 public:
  Half(const QString& text, bool left, QWidget* parent) : QAbstractButton(parent), left_(left) {
    setText(text);
    setCheckable(true);
    setFixedSize(38, 28);
    setAccessibleName(left ? QObject::tr("Millimetres") : QObject::tr("Inches"));
  }

 protected:
  void paintEvent(QPaintEvent*) override {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Theme& t = theme();
    // The outer shape is a pill twice as wide, of which this shows one half.
    QRectF whole(left_ ? 0.5 : -width() + 0.5, 0.5, 2.0 * width() - 1, height() - 1);
    p.setPen(QPen(hasFocus() ? t.accent : t.hairline, hasFocus() ? 2 : 1));
    p.setBrush(t.field);
    p.drawRoundedRect(whole, height() / 2.0, height() / 2.0);
    if (isChecked()) {
      p.setPen(Qt::NoPen);
      p.setBrush(t.accent_soft);
      p.drawRoundedRect(QRectF(1.5, 1.5, width() - 3, height() - 3), height() / 2.0, height() / 2.0);
    }
    p.setFont(ui_font(12.5, isChecked()));
    p.setPen(isChecked() ? t.accent : t.ink);
    p.drawText(rect(), Qt::AlignCenter, text());
  }

 private:
  bool left_;
};

/// The pill that opens the findings: a triangle and their number.
class LookPill : public QAbstractButton {
 public:
  explicit LookPill(QWidget* parent) : QAbstractButton(parent) { setCheckable(true); }
  QSize sizeHint() const override { return {QFontMetrics(ui_font(13)).horizontalAdvance(text()) + 46, 28}; }
  void setWorst(std::optional<Severity> severity) {
    worst_ = severity;
    updateGeometry();
    update();
  }

 protected:
  void paintEvent(QPaintEvent*) override {
    QPainter p(this);
    p.setRenderHint(QPainter::Antialiasing);
    const Theme& t = theme();
    const bool serious = worst_ == Severity::error, look = worst_ == Severity::warning;
    const QColor edge = serious ? t.serious : look ? t.hands : t.hairline;
    const bool strong = hasFocus() || isChecked();
    p.setPen(QPen(strong ? t.accent : edge, hasFocus() && isChecked() ? 4 : strong ? 2 : 1));
    p.setBrush(serious ? t.serious_soft : look ? t.hands_soft : t.field);
    p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 13, 13);
    const QPointF c(21, height() / 2.0);
    p.setPen(QPen(serious ? t.serious : look ? t.hands : t.accent, 1.8));
    p.setBrush(Qt::NoBrush);
    if (serious || look) {
      p.drawPolygon(QPolygonF{c + QPointF(-7, 6), c + QPointF(0, -6), c + QPointF(7, 6)});
    } else {
      p.drawPolyline(QPolygonF{c + QPointF(-5, 0), c + QPointF(-1, 4), c + QPointF(6, -4)});
    }
    p.setPen(t.ink);
    p.setFont(ui_font(13));
    p.drawText(rect().adjusted(35, 0, 0, 0), Qt::AlignVCenter, text());
  }

 private:
  std::optional<Severity> worst_;
};

}  // namespace

StagePill::StagePill(const QString& word, QWidget* parent) : QAbstractButton(parent) {
  setText(word);
  setAccessibleName(word);
  setCheckable(true);
  setAutoExclusive(true);
  setSizePolicy(QSizePolicy::Fixed, QSizePolicy::Fixed);
}

void StagePill::setState(const QString& state) {
  if (state == state_) return;
  state_ = state;
  setAccessibleDescription(state);
  updateGeometry();
  update();
}

void StagePill::setShort(bool on) {
  if (on == short_) return;
  short_ = on;
  setToolTip(on ? state_ : QString());
  updateGeometry();
  update();
}

QSize StagePill::sizeHint() const {
  int w = QFontMetrics(ui_font(13.5, true)).horizontalAdvance(text()) + 30;
  if (!shown().isEmpty()) w += QFontMetrics(ui_font(11.5)).horizontalAdvance(shown()) + 10;
  return {w, 30};
}

void StagePill::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  if (isChecked() || underMouse()) {
    p.setPen(Qt::NoPen);
    QColor fill = t.accent_soft;
    if (!isChecked()) fill.setAlpha(120);
    p.setBrush(fill);
    p.drawRoundedRect(rect(), 15, 15);
  }
  if (hasFocus()) {
    p.setPen(QPen(t.accent, 2));
    p.setBrush(Qt::NoBrush);
    p.drawRoundedRect(QRectF(rect()).adjusted(1, 1, -1, -1), 14, 14);
  }
  p.setFont(ui_font(13.5, isChecked()));
  p.setPen(isChecked() ? t.accent : t.ink);
  p.drawText(rect().adjusted(15, 0, 0, 0), Qt::AlignVCenter, text());
  p.setFont(ui_font(11.5));
  p.setPen(t.quiet);
  p.drawText(rect().adjusted(0, 0, -14, 0), Qt::AlignVCenter | Qt::AlignRight, shown());
}

void StagePill::enterEvent(QEnterEvent* event) {
  QAbstractButton::enterEvent(event);
  QAbstractButton::update();
}

void StagePill::leaveEvent(QEvent* event) {
  QAbstractButton::leaveEvent(event);
  QAbstractButton::update();
}

TopBar::TopBar(Session& session, const Actions& actions, QWidget* parent) : QWidget(parent), session_(session) {
  set_kind(this, "topbar");
  setAttribute(Qt::WA_StyledBackground);
  setFixedHeight(48);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(14, 0, 14, 1);
  row->setSpacing(6);
  row->addWidget(new Emblem(this));
  project_ = new QPushButton(this);
  project_->setObjectName(QStringLiteral("projectMenu"));
  set_kind(project_, "project");
  project_->setAccessibleName(tr("Project menu"));
  project_->setFixedWidth(200);
  menu_ = new QMenu(project_);
  project_->setMenu(menu_);
  row->addWidget(project_);
  const std::pair<Stage, QString> stages[] = {{Stage::draft, tr("Draft")},   {Stage::sheets, tr("Sheets")},
                                              {Stage::passes, tr("Passes")}, {Stage::run, tr("Run")},
                                              {Stage::make, tr("Make")},     {Stage::log, tr("Log")}};
  for (const auto& [stage, word] : stages) {
    auto* pill = new StagePill(word, this);
    pill->setObjectName(QStringLiteral("stage%1").arg(static_cast<int>(stage)));
    connect(pill, &QAbstractButton::clicked, this, [this, s = stage] { emit stagePicked(s); });
    row->addWidget(pill);
    stages_.push_back(pill);
  }
  row->addSpacing(6);
  cost_ = make_label({}, "quiet", this);
  cost_->setObjectName(QStringLiteral("editCost"));
  cost_->setWordWrap(false);
  cost_->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
  row->addWidget(cost_, 1);
  finder_ = new ActionFinder(actions, this);
  row->addWidget(finder_);
  row->addSpacing(4);
  auto* unit = new QHBoxLayout;
  unit->setSpacing(0);
  mm_ = new Half(tr("mm"), true, this);
  mm_->setObjectName(QStringLiteral("unitMm"));
  inch_ = new Half(tr("in"), false, this);
  inch_->setObjectName(QStringLiteral("unitInch"));
  unit->addWidget(mm_);
  unit->addWidget(inch_);
  row->addLayout(unit);
  row->addSpacing(4);
  auto set_unit = [this](LengthUnit u) {
    Project next = session_.project();
    next.unit = u;
    session_.commit(std::move(next), u == LengthUnit::mm ? tr("Use millimetres") : tr("Use inches"));
    update();
  };
  connect(mm_, &QAbstractButton::clicked, this, [set_unit] { set_unit(LengthUnit::mm); });
  connect(inch_, &QAbstractButton::clicked, this, [set_unit] { set_unit(LengthUnit::inch); });
  second_look_ = new LookPill(this);
  second_look_->setObjectName(QStringLiteral("secondLookPill"));
  row->addWidget(second_look_);
  connect(second_look_, &QAbstractButton::clicked, this, &TopBar::secondLookPicked);
  connect(&session_, &Session::fileChanged, this, &TopBar::update);
  connect(&session_, &Session::derivedChanged, this, &TopBar::update);
  connect(&session_, &Session::findingsChanged, this, &TopBar::update);
  connect(&session_, &Session::derivedChanged, this, &TopBar::updateCost);
  update();
}

void TopBar::setStage(Stage stage) {
  stages_[static_cast<std::size_t>(stage)]->setChecked(true);
  fitPills();
}

void TopBar::setRunState(const QString& state) {
  stages_[3]->setState(state);
  fitPills();
}

void TopBar::resizeEvent(QResizeEvent* event) {
  QWidget::resizeEvent(event);
  fitPills();
}

void TopBar::fitPills() {
  const auto tight = [this] {
    layout()->invalidate();
    // What the last edit cost is told in full.
    return layout()->totalMinimumSize().width() + cost_->sizeHint().width() > width();
  };
  for (auto* pill : stages_) pill->setShort(false);
  if (!tight()) return;
  for (auto* pill : stages_) pill->setShort(!pill->isChecked());
  if (!tight()) return;
  for (auto* pill : stages_) pill->setShort(true);
}

void TopBar::setSecondLookOpen(bool open) { second_look_->setChecked(open); }

/// What the last edit cost or saved, until the next one.
void TopBar::updateCost() {
  const Plan& plan = session_.derived().plan;
  const std::size_t steps = session_.steps();
  if (steps == 0 || steps_ != steps) before_ = now_;
  now_ = {static_cast<int>(session_.derived().project.sheets.size()), static_cast<int>(plan.pauses.size()),
          plan.seconds};
  if (steps == 0) before_ = now_;  // a project just opened
  steps_ = steps;
  const auto sign = [](double change) { return change < 0 ? QChar(0x2212) : QLatin1Char('+'); };
  QStringList parts;
  const auto count = [&](int change, const QString& one, const QString& many) {
    if (change != 0) parts << sign(change) + counted(static_cast<std::size_t>(std::abs(change)), one, many);
  };
  count(now_.pauses - before_.pauses, tr("pause"), tr("pauses"));
  count(now_.sheets - before_.sheets, tr("sheet"), tr("sheets"));
  const double seconds = now_.seconds - before_.seconds;
  if (std::abs(seconds) >= 1) parts << sign(seconds) + time_text(std::abs(seconds));
  cost_->setText(parts.join(QStringLiteral("  ·  ")));
  fitPills();
  cost_->setToolTip(parts.isEmpty() ? QString() : tr("What the last edit cost or saved: %1").arg(cost_->text()));
}

void TopBar::update() {
  const Project& project = session_.project();
  const Plan& plan = session_.derived().plan;
  const QString name = qs(project.name) + (session_.modified() ? QStringLiteral(" •") : QString());
  project_->setText(QFontMetrics(ui_font(15, true)).elidedText(name, Qt::ElideRight, 184));
  project_->setToolTip(session_.path().isEmpty()
                           ? tr("Not saved yet")
                           : session_.path() + (session_.modified() ? tr("  (changed)") : QString()));
  const auto hidden =
      std::count_if(project.pieces.begin(), project.pieces.end(), [](const auto& p) { return p->hidden; });
  stages_[0]->setState(project.pieces.empty() ? QString()
                       : hidden == 0          ? counted(project.pieces.size(), tr("piece"), tr("pieces"))
                                              : tr("%1 hidden of %2").arg(hidden).arg(project.pieces.size()));
  stages_[1]->setState(project.sheets.empty() ? QString() : QString::number(project.sheets.size()));
  stages_[2]->setState(
      plan.passes.empty()
          ? QString()
          : QStringLiteral("%1  ·  %2").arg(plan.passes.size()).arg(span_text(plan.seconds, plan.spread_seconds())));
  std::size_t made = 0, to_make = 0;
  const Layout& layout = session_.derived().layout;
  for (const auto& laid : layout.laid) {
    if (layout.parts[laid.part].has_body()) ++to_make, made += laid.in_place ? 1 : 0;
  }
  stages_[4]->setState(made == 0 ? QString() : tr("%1 of %2").arg(made).arg(to_make));
  mm_->setChecked(project.unit == LengthUnit::mm);
  inch_->setChecked(project.unit == LengthUnit::inch);
  const auto& findings = session_.findings();
  second_look_->setText(findings.empty() ? tr("Second look") : tr("Second look  %1").arg(findings.size()));
  second_look_->setAccessibleName(tr("Second look: %1").arg(counted(findings.size(), tr("finding"), tr("findings"))));
  static_cast<LookPill*>(second_look_)->setWorst(worst(findings));
  fitPills();
}

}  // namespace dotlane
