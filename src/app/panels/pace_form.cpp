#include "app/panels/pace_form.hpp"

#include <QFormLayout>
#include <QLocale>
#include <QPushButton>
#include <QVBoxLayout>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

constexpr Role kTimed[] = {Role::cut, Role::score, Role::draw, Role::foil, Role::engrave, Role::emboss};

}  // namespace

PaceForm::PaceForm(Session& session, LogDesk& log, QWidget* parent) : QWidget(parent), session_(session), log_(log) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->addWidget(make_label(tr("Pace"), "heading", this));
  column->addWidget(make_label(
      tr("How long passes of a role take by the clock, beside what is planned. Times are planned with it from now on."),
      "quiet", this));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  column->addLayout(form);
  role_ = new QComboBox(this);
  role_->setObjectName(QStringLiteral("paceRole"));
  role_->setAccessibleName(tr("Role whose pace is told"));
  for (const Role role : kTimed) role_->addItem(role_name(role), static_cast<int>(role));
  factor_ = new NumberField(tr("How many times as long as planned it takes"), NumberField::Kind::plain, this,
                            QStringLiteral("×"), 2);
  factor_->setObjectName(QStringLiteral("paceFactor"));
  factor_->setRange(0.1, 10);
  spread_ = new NumberField(tr("How much it differs from run to run"), NumberField::Kind::plain, this, tr("%"));
  spread_->setObjectName(QStringLiteral("paceSpread"));
  spread_->setRange(0, 90);
  form->addRow(make_label(tr("role"), "quiet", this), role_);
  form->addRow(make_label(tr("takes"), "quiet", this), factor_);
  form->addRow(make_label(tr("give or take"), "quiet", this), spread_);
  minute_ = new NumberField(tr("What a minute of work costs"), NumberField::Kind::plain, this, tr("a minute"), 2);
  minute_->setObjectName(QStringLiteral("minutePrice"));
  minute_->setRange(0, 1e6);
  minute_->setZero(tr("not counted"));
  form->addRow(make_label(tr("work costs"), "quiet", this), minute_);
  connect(minute_, &NumberField::edited, this, [this](double v) {
    Project next = session_.project();
    next.plan.minute_price = v;
    session_.commit(std::move(next), tr("Set what work costs"), "minute-price");
  });
  connect(minute_, &NumberField::committed, &session_, &Session::seal);
  auto* learn_it = new QPushButton(tr("Learn it from the logbook"), this);
  learn_it->setObjectName(QStringLiteral("learnPace"));
  learn_it->setToolTip(tr("By what runs on a machine of this name really took"));
  set_kind(learn_it, "chip");
  column->addWidget(learn_it, 0, Qt::AlignLeft);
  learned_ = make_label({}, "quiet", this);
  learned_->setObjectName(QStringLiteral("paceLearned"));
  learned_->hide();
  column->addWidget(learned_);
  connect(learn_it, &QPushButton::clicked, this, &PaceForm::learn);
  connect(role_, &QComboBox::activated, this, &PaceForm::update);
  connect(factor_, &NumberField::edited, this, [this](double v) { edit([v](Pace& pace) { pace.factor = v; }); });
  connect(spread_, &NumberField::edited, this, [this](double v) { edit([v](Pace& pace) { pace.spread = v / 100; }); });
  for (const auto* field : {factor_, spread_}) connect(field, &NumberField::committed, &session_, &Session::seal);
  connect(&session_, &Session::shown, this, &PaceForm::update);
  update();
}

Role PaceForm::role() const { return static_cast<Role>(role_->currentData().toInt()); }

void PaceForm::edit(const std::function<void(Pace&)>& change) {
  Project next = session_.project();
  Pace& pace = next.machine.pace[role()];
  change(pace);
  if (pace == Pace{}) next.machine.pace.erase(role());
  session_.commit(std::move(next), tr("Set the pace: %1").arg(role_name(role())), "pace");
}

void PaceForm::learn() {
  log_.learnedPace(session_.project().machine.name, [this](const std::map<Role, Pace>& found) {
    learned_->show();
    if (found.empty())
      return learned_->setText(tr("Not yet: it takes three passes of a role that ran to their end on this machine."));
    Project next = session_.project();
    QStringList roles;
    for (const auto& [of, pace] : found) {
      next.machine.pace[of] = pace;
      roles << tr("%1 × %2").arg(role_name(of), QLocale().toString(pace.factor, 'f', 2));
    }
    session_.commit(std::move(next), tr("Learn the pace"));
    learned_->setText(tr("Learned: %1.").arg(roles.join(QStringLiteral(", "))));
  });
}

void PaceForm::update() {
  const Pace pace = pace_of(session_.project().machine, role());
  factor_->setValue(pace.factor);
  spread_->setValue(pace.spread * 100);
  minute_->setValue(session_.project().plan.minute_price);
}

}  // namespace dotlane
