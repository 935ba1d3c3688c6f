#include "app/sheets/part_card.hpp"

#include <QFormLayout>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QVBoxLayout>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {

PartCard::PartCard(Session& session, SheetDesk& desk, QWidget* parent)
    : QFrame(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("partCard"));
  set_kind(this, "card");
  auto* box = new QVBoxLayout(this);
  box->setContentsMargins(12, 8, 12, 10);
  box->setSpacing(2);
  name_ = make_label({}, "name", this);
  facts_ = make_label({}, "quiet", this);
  box->addWidget(name_);
  box->addWidget(facts_);
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  box->addLayout(form);
  const auto field = [&](const QString& label, const QString& name, NumberField::Kind kind, const QString& unit,
                         double low, double high, void (SheetDesk::*set)(double), int decimals = -1) {
    auto* f = new NumberField(name, kind, this, unit, decimals);
    f->setRange(low, high);
    form->addRow(make_label(label, "quiet", this), f);
    connect(f, &NumberField::edited, &desk_, set);
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  using Kind = NumberField::Kind;
  left_ = field(tr("from left"), tr("Part from the left edge of its sheet"), Kind::length, {}, -5000, 5000,
                &SheetDesk::setLeft);
  top_ = field(tr("from top"), tr("Part from the top edge of its sheet"), Kind::length, {}, -5000, 5000,
               &SheetDesk::setTop);
  turn_ = field(tr("turned"), tr("Part turned from upright"), Kind::plain, tr("°"), -360, 360, &SheetDesk::setTurn, 1);
  copies_ = new NumberField(tr("How many of the part are made"), Kind::plain, this, tr("×"));
  copies_->setRange(1, kMostCopies);
  form->addRow(make_label(tr("copies"), "quiet", this), copies_);
  connect(copies_, &NumberField::edited, this, [this](double v) { desk_.setCopies(static_cast<int>(v)); });
  connect(copies_, &NumberField::committed, &session_, &Session::seal);
  const auto tick = [&](const QString& text, const char* name, const QString& tip, void (SheetDesk::*run)()) {
    auto* c = new QCheckBox(text, this);
    c->setObjectName(QString::fromLatin1(name));
    c->setToolTip(tip);
    box->addWidget(c);
    connect(c, &QCheckBox::clicked, &desk_, run);
    return c;
  };
  now_ = tick(tr("run this time"), "partNow", tr("What is not run stays where it is"), &SheetDesk::toggleNotNow);
  pinned_ = tick(tr("pinned"), "partPinned", tr("Nothing but your hand moves it"), &SheetDesk::togglePinned);
  together_ = tick(tr("kept together"), "partTogether", tr("Turned and moved as one, and laid as in the figure"),
                   &SheetDesk::toggleTogether);
  auto* row = new QGridLayout;  // two beside each other: the panel is narrow
  row->setSpacing(5);
  const auto button = [&](const QString& text, const char* name, const QString& tip, void (SheetDesk::*run)()) {
    auto* b = new QPushButton(text, this);
    b->setObjectName(QString::fromLatin1(name));
    b->setToolTip(tip);
    set_kind(b, "chip");
    row->addWidget(b, row->count() / 2, row->count() % 2);
    connect(b, &QPushButton::clicked, &desk_, run);
    return b;
  };
  room_ = button(tr("Find room"), "findRoom", tr("Lays it on any sheet where there is room, and leaves the rest"),
                 &SheetDesk::findRoom);
  fit_ = button(tr("Turn to fit"), "turnToFit", tr("Lays it anew on its own sheet, turned as it fits best"),
                &SheetDesk::turnToFit);
  off_ = button(tr("Take off"), "takeOff", tr("It waits until there is room"), &SheetDesk::takeOff);
  box->addSpacing(4);
  box->addLayout(row);
  connect(&desk_, &SheetDesk::changed, this, &PartCard::update);
  connect(&session_, &Session::shown, this, &PartCard::update);
  update();
}

void PartCard::update() {
  const auto& chosen = desk_.chosen();
  setVisible(!chosen.empty());
  if (chosen.empty()) return;
  const Layout& layout = desk_.layout();
  const LengthUnit unit = session_.project().unit;
  dotlane::Box around;
  bool one_sheet = true, pinned = true, together = true, now = true;
  for (const std::size_t k : chosen) {
    const LaidPart& laid = layout.laid[k];
    if (laid.sheet != 0) around.add(bounds_on_mat(layout, k));
    one_sheet = one_sheet && laid.sheet != 0 && laid.sheet == layout.laid[chosen.front()].sheet;
    pinned = pinned && laid.pinned;
    now = now && !laid.not_now;
    const PartRecord* record = desk_.record_of(k);
    together = together && record && record->together != 0;
  }
  const LaidPart& first = layout.laid[chosen.front()];
  const Part& part = layout.parts[first.part];
  name_->setText(chosen.size() == 1 ? QStringLiteral("%1  %2").arg(part.number).arg(desk_.name_of(chosen.front()))
                                    : counted(chosen.size(), tr("part"), tr("parts")));
  QString facts = size_text(chosen.size() == 1 ? part.bounds() : around, unit) + QChar(' ') + unit_word(unit);
  facts += first.sheet == 0 ? tr("  ·  waits")
           : one_sheet      ? tr("  ·  sheet %1").arg(desk_.number_of(first.sheet))
                            : tr("  ·  several sheets");
  facts_->setText(facts);
  for (auto* f : {left_, top_, turn_}) f->setEnabled(one_sheet);
  if (const Sheet* sheet = one_sheet ? layout.sheet(first.sheet) : nullptr) {
    left_->setValue(around.x0 - sheet->area.x0, unit);
    top_->setValue(around.y0 - sheet->area.y0, unit);
    turn_->setValue(place_of(desk_.shown()->drawing, part, first.map, *sheet).turn_deg);
  }
  const PartRecord* record = desk_.record_of(chosen.front());
  copies_->setValue(record ? record->copies : 1);
  pinned_->setChecked(pinned);
  pinned_->setEnabled(first.sheet != 0);
  together_->setChecked(together);
  now_->setChecked(now);
  fit_->setEnabled(one_sheet);
  off_->setEnabled(first.sheet != 0);
}

}  // namespace dotlane
