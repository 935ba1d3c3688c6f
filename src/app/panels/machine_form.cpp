#include "app/panels/machine_form.hpp"

#include <QFormLayout>
#include <QLocale>
#include <QRegularExpression>
#include <QVBoxLayout>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/presets.hpp"
#include "core/text_scan.hpp"

namespace dotlane {

MachineForm::MachineForm(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->addWidget(make_label(tr("Machine"), "heading", this));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  column->addLayout(form);
  mat_ = new QComboBox(this);
  mat_->setObjectName(QStringLiteral("matBox"));
  mat_->setAccessibleName(tr("Mat"));
  for (const auto& mat : preset_mats()) mat_->addItem(qs(mat.name));
  holders_ = new QComboBox(this);
  holders_->setAccessibleName(tr("Holders"));
  holders_->setObjectName(QStringLiteral("holdersBox"));
  holders_->addItems({tr("one holder"), tr("two holders"), tr("three holders"), tr("four holders")});
  tack_ = new QComboBox(this);
  tack_->setAccessibleName(tr("How well the mat holds"));
  tack_->setObjectName(QStringLiteral("matTack"));
  tack_->addItems({tr("a little"), tr("well"), tr("very well")});
  connect(tack_, &QComboBox::activated, this, [this](int row) {
    edit(tr("Change how the mat holds"), "", [&](Machine& m) { m.mat.tack = kTacks[static_cast<std::size_t>(row)]; });
  });
  form->addRow(make_label(tr("mat"), "quiet", this), mat_);
  form->addRow(make_label(tr("holds"), "quiet", this), tack_);
  form->addRow(make_label(tr("holders"), "quiet", this), holders_);
  auto field = [&](const QString& label, const QString& name, NumberField::Kind kind, const QString& unit,
                   double Machine::*member, double low, double high, int decimals = -1) {
    auto* f = new NumberField(name, kind, this, unit, decimals);
    f->setRange(low, high);
    form->addRow(make_label(label, "quiet", this), f);
    connect(f, &NumberField::edited, this, [this, label, member](double v) {
      edit(tr("Change the machine: %1").arg(label), "machine-" + label.toStdString(),
           [&](Machine& m) { m.*member = v; });
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  using Kind = NumberField::Kind;
  border_ = field(tr("border kept clear"), tr("Border kept clear on every side"), Kind::length, {}, &Machine::border_mm,
                  0, 100);
  rated_ = field(tr("rated thickness"), tr("Thickest stock the machine is rated for"), Kind::length, {},
                 &Machine::rated_thickness_mm, 0, 20, 2);
  force_ = field(tr("most force"), tr("Most force the machine gives"), Kind::plain, tr("gf"), &Machine::max_force_gf, 1,
                 5000);
  travel_ = field(tr("travel speed"), tr("Speed with the tool up"), Kind::length, tr("/s"), &Machine::travel_mm_s, 1,
                  2000, 0);
  accel_ = field(tr("acceleration"), tr("Acceleration of the head"), Kind::length, tr("/s²"), &Machine::accel_mm_s2, 10,
                 50000, 0);
  jerk_ = field(tr("jerk"), tr("How quickly the acceleration changes; 0 = at once"), Kind::length, tr("/s³"),
                &Machine::jerk_mm_s3, 0, 1e7, 0);
  jerk_->setZero(tr("at once"));
  jerk_->setToolTip(tr("How quickly the acceleration changes; 0 = at once"));
  lift_ = field(tr("lift or lower"), tr("Time to lift or lower the tool"), Kind::plain, tr("s"), &Machine::lift_s, 0,
                10, 2);
  swap_ = field(tr("one swap by hand"), tr("Time for one tool swap by hand"), Kind::plain, tr("s"), &Machine::swap_s, 0,
                3600);
  set_ = field(tr("one mark set by hand"), tr("Time to set a blade to another mark by hand"), Kind::plain, tr("s"),
               &Machine::set_s, 0, 3600);
  reads_marks_ = new QCheckBox(tr("finds the marks of prints"), this);
  reads_marks_->setObjectName(QStringLiteral("readsMarks"));
  reads_marks_->setToolTip(tr("Else a printed sheet is laid as exactly as it is to be cut"));
  form->addRow(reads_marks_);
  connect(reads_marks_, &QCheckBox::clicked, this, [this](bool on) {
    edit(on ? tr("The machine finds marks") : tr("The machine finds no marks"), "",
         [&](Machine& m) { m.reads_marks = on; });
  });
  sets_depth_ = new QCheckBox(tr("sets blade depths itself"), this);
  sets_depth_->setObjectName(QStringLiteral("setsDepth"));
  sets_depth_->setToolTip(tr("Else a blade at another mark is set by hand, in a pause"));
  form->addRow(sets_depth_);
  connect(sets_depth_, &QCheckBox::clicked, this, [this](bool on) {
    edit(on ? tr("The machine sets depths") : tr("Depths are set by hand"), "", [&](Machine& m) { m.sets_depth = on; });
  });
  landing_ = field(tr("landing error"), tr("How far off a tool lands after a lift, as a standard deviation"),
                   Kind::length, {}, &Machine::landing_mm, 0, 5, 2);
  const auto measured = [&](const QString& label, const QString& name, Vec Machine::*what, double Vec::*axis,
                            const QString& unit, NumberField::Kind kind, double low, double high, double times,
                            int decimals) {
    auto* f = new NumberField(name, kind, this, unit, decimals);
    f->setRange(low, high);
    f->setToolTip(name);
    form->addRow(make_label(label, "quiet", this), f);
    connect(f, &NumberField::edited, this, [this, label, what, axis, times](double v) {
      edit(tr("Change the machine: %1").arg(label), "machine-" + label.toStdString(),
           [&](Machine& m) { (m.*what).*axis = v / times; });
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  scale_x_ = measured(tr("goes across"), tr("How far the head goes across of what it is sent"), &Machine::scale,
                      &Vec::x, tr("%"), Kind::plain, 90, 110, 100, 3);
  scale_y_ = measured(tr("goes up"), tr("How far the head goes up of what it is sent"), &Machine::scale, &Vec::y,
                      tr("%"), Kind::plain, 90, 110, 100, 3);
  off_x_ = measured(tr("lands right by"), tr("How far right of its place the head comes down"), &Machine::origin_mm,
                    &Vec::x, {}, Kind::length, -50, 50, 1, 2);
  off_y_ = measured(tr("lands down by"), tr("How far down from its place the head comes down"), &Machine::origin_mm,
                    &Vec::y, {}, Kind::length, -50, 50, 1, 2);
  clears_ = field(tr("bar clears"), tr("What passes under the bar, above the mat"), Kind::length, {},
                  &Machine::bar_clears_mm, 0, 100, 1);
  reaches_ = field(tr("bar reaches"), tr("How far the bar reaches before and behind the tip"), Kind::length, {},
                   &Machine::bar_reaches_mm, 0, 200, 0);
  rollers_ = new QLineEdit(this);
  rollers_->setObjectName(QStringLiteral("rollers"));
  rollers_->setAccessibleName(tr("Where the rollers stand, from the left edge of the mat, separated by spaces"));
  rollers_->setToolTip(rollers_->accessibleName());
  rollers_->setPlaceholderText(tr("none said"));
  form->addRow(make_label(tr("rollers at"), "quiet", this), rollers_);
  connect(rollers_, &QLineEdit::editingFinished, this, &MachineForm::readRollers);
  roller_ =
      field(tr("roller width"), tr("How wide a roller is"), Kind::length, {}, &Machine::roller_width_mm, 0, 100, 0);
  connect(lift_, &NumberField::edited, this, [this](double v) {
    edit(tr("Change the machine: %1").arg(tr("lift or lower")), "machine-lift",
         [&](Machine& m) { m.lower_s = m.lift_s = v; });
  });
  connect(mat_, &QComboBox::activated, this, [this](int row) {
    edit(tr("Change the mat"), "", [&](Machine& m) {
      const Tack tack = m.mat.tack;
      m.mat = preset_mats()[static_cast<std::size_t>(row)];
      m.mat.tack = tack;
    });
  });
  connect(holders_, &QComboBox::activated, this,
          [this](int row) { edit(tr("Change the holders"), "", [&](Machine& m) { m.holders = row + 1; }); });
  column->addWidget(make_label(
      tr("The machine's manual and the material's data sheet come first. Do not go past the rated thickness or force."),
      "quiet", this));
  connect(&session_, &Session::shown, this, &MachineForm::update);
  update();
}

void MachineForm::edit(const QString& label, const std::string& key, const std::function<void(Machine&)>& change) {
  Project next = session_.project();
  change(next.machine);
  session_.commit(std::move(next), label, key);
}

void MachineForm::readRollers() {
  // Spaces and semicolons between them; a comma belongs to the number.
  const QString text = rollers_->text();
  std::vector<double> at;
  bool good = true;
  for (const QString& word : text.split(QRegularExpression(QStringLiteral("[\\s;]+")), Qt::SkipEmptyParts)) {
    const auto mm = parse_length(word, session_.project().unit);
    good = good && mm && *mm >= 0 && *mm <= 10'000;
    if (good) at.push_back(*mm);
  }
  if (!good || at == session_.project().machine.rollers_mm) return update();  // what was there comes back
  edit(tr("Say where the rollers stand"), "", [&](Machine& m) { m.rollers_mm = at; });
}

void MachineForm::update() {
  const Project& project = session_.project();
  const Machine& m = project.machine;
  for (std::size_t i = 0; i < preset_mats().size(); ++i) {
    if (preset_mats()[i].width_mm == m.mat.width_mm && preset_mats()[i].height_mm == m.mat.height_mm)
      mat_->setCurrentIndex(static_cast<int>(i));
  }
  holders_->setCurrentIndex(m.holders - 1);
  border_->setValue(m.border_mm, project.unit);
  rated_->setValue(m.rated_thickness_mm, project.unit);
  force_->setValue(m.max_force_gf);
  travel_->setValue(m.travel_mm_s, project.unit);
  accel_->setValue(m.accel_mm_s2, project.unit);
  lift_->setValue(m.lift_s);
  jerk_->setValue(m.jerk_mm_s3, project.unit);
  clears_->setValue(m.bar_clears_mm, project.unit);
  reaches_->setValue(m.bar_reaches_mm, project.unit);
  roller_->setValue(m.roller_width_mm, project.unit);
  tack_->setCurrentIndex(static_cast<int>(m.mat.tack));
  if (!rollers_->hasFocus()) {
    QStringList places;
    const bool inches = project.unit == LengthUnit::inch;
    for (const double mm : m.rollers_mm)
      places << QLocale().toString(inches ? mm / kMmPerInch : mm, 'f', inches ? 3 : 1) + unit_word(project.unit);
    rollers_->setText(places.join(QLatin1Char(' ')));
  }
  landing_->setValue(m.landing_mm, project.unit);
  scale_x_->setValue(m.scale.x * 100);
  scale_y_->setValue(m.scale.y * 100);
  off_x_->setValue(m.origin_mm.x, project.unit);
  off_y_->setValue(m.origin_mm.y, project.unit);
  swap_->setValue(m.swap_s);
  set_->setValue(m.set_s);
  set_->setEnabled(!m.sets_depth);
  sets_depth_->setChecked(m.sets_depth);
  reads_marks_->setChecked(m.reads_marks);
}

}  // namespace dotlane
