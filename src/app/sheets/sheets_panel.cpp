#include "app/sheets/sheets_panel.hpp"

#include <QHBoxLayout>
#include <QLocale>

#include "app/panels/machine_form.hpp"
#include "app/sheets/batch_card.hpp"
#include "app/sheets/bolt_card.hpp"
#include "app/sheets/figure_view.hpp"
#include "app/sheets/pack_bars.hpp"
#include "app/sheets/part_card.hpp"
#include "app/sheets/sheet_card.hpp"
#include "app/sheets/shelf_card.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

constexpr double kPackSeconds = 10;  // longer finds little more

}  // namespace

SheetsPanel::SheetsPanel(Session& session, SheetDesk& desk, QWidget* parent)
    : Panel(tr("Sheets"), parent), session_(session), desk_(desk), packing_(session) {
  setObjectName(QStringLiteral("sheetsPanel"));
  column()->addWidget(new FigureView(session_, desk_, body()));
  column()->addWidget(new PartCard(session_, desk_, body()));
  addLaying();
  column()->addWidget(new SheetCard(session_, desk_, body()));
  addHands();
  column()->addWidget(make_line(body()));
  shelf_ = new ShelfCard(session_, desk_, body());
  column()->addWidget(shelf_);
  column()->addWidget(make_line(body()));
  column()->addWidget(new BatchCard(session_, body()));
  column()->addWidget(make_line(body()));
  column()->addWidget(new BoltCard(session_, desk_, body()));
  column()->addWidget(make_line(body()));
  column()->addWidget(new MachineForm(session_, body()));
  column()->addStretch();
  connect(&session_, &Session::shown, this, &SheetsPanel::update);
  connect(&session_, &Session::derivedChanged, this, &SheetsPanel::update);
  connect(&desk_, &SheetDesk::changed, this, &SheetsPanel::showPacking);
  update();
}

void SheetsPanel::addLaying() {
  auto* form = addForm(tr("Lay out"));
  gap_ = new NumberField(tr("Gap between parts"), NumberField::Kind::length, body());
  gap_->setRange(0, 50);
  turns_ = new QComboBox(body());
  turns_->setObjectName(QStringLiteral("turnsBox"));
  turns_->setAccessibleName(tr("How parts may be turned"));
  for (const auto& [text, step] : {std::pair{tr("freely, by 5°"), 5.0},
                                   {tr("in steps of 15°"), 15.0},
                                   {tr("by quarter turns"), 90.0},
                                   {tr("upside down"), 180.0},
                                   {tr("not at all"), 0.0}})
    turns_->addItem(text, step);
  copies_ = new NumberField(tr("How many of everything are made"), NumberField::Kind::plain, body(), tr("×"));
  copies_->setRange(1, kMostCopies);
  form->addRow(make_label(tr("gap between parts"), "quiet", body()), gap_);
  form->addRow(make_label(tr("turned"), "quiet", body()), turns_);
  form->addRow(make_label(tr("copies of everything"), "quiet", body()), copies_);
  bleed_ = new NumberField(tr("How far print runs on beyond a cut"), NumberField::Kind::length, body());
  bleed_->setRange(0, 50);
  bleed_->setToolTip(tr("Of sheets that are printed first: what is printed to an edge that is cut"));
  form->addRow(make_label(tr("bleed of print"), "quiet", body()), bleed_);
  connect(bleed_, &NumberField::edited, this, [this](double v) {
    Project next = session_.project();
    next.laying.bleed_mm = v;
    session_.commit(std::move(next), tr("Change the bleed"), "bleed");
  });
  connect(bleed_, &NumberField::committed, &session_, &Session::seal);
  packed_ = make_label({}, "body", body());
  packed_->setObjectName(QStringLiteral("packedText"));
  column()->addWidget(packed_);
  bars_ = new PackBars(body());
  bars_->setFixedHeight(92);
  bars_->hide();
  column()->addWidget(bars_);
  auto* row = new QHBoxLayout;
  const auto button = [&](const QString& text, const char* name, const char* kind, const QString& tip) {
    auto* b = new QPushButton(text, body());
    b->setObjectName(QString::fromLatin1(name));
    b->setToolTip(tip);
    set_kind(b, kind);
    row->addWidget(b, 1);
    return b;
  };
  pack_ = button(tr("Pack the parts"), "packParts", "soft", tr("Onto as few sheets as will do, scraps first"));
  as_drawn_ =
      button(tr("As drawn"), "layAsDrawn", "pill", tr("Every part lies on its sheet as it stands in the figure"));
  column()->addLayout(row);
  row = new QHBoxLayout;
  together_ = button(tr("Push together"), "pushTogether", "pill",
                     tr("Moves the chosen parts, or all, up and to the left until the gap is left between them"));
  everything_ =
      button(tr("Run everything"), "runEverything", "pill", tr("Takes in again what was left out of the run"));
  column()->addLayout(row);
  connect(gap_, &NumberField::edited, this, [this](double v) {
    Project next = session_.project();
    next.laying.gap_mm = v;
    session_.commit(std::move(next), tr("Change the gap"), "gap");
  });
  connect(gap_, &NumberField::committed, &session_, &Session::seal);
  connect(copies_, &NumberField::edited, this, [this](double v) { desk_.setAllCopies(static_cast<int>(v)); });
  connect(copies_, &NumberField::committed, &session_, &Session::seal);
  connect(turns_, &QComboBox::activated, this, [this](int at) {
    Project next = session_.project();
    next.laying.turn_step_deg = turns_->itemData(at).toDouble();
    session_.commit(std::move(next), tr("Change how parts are turned"));
  });
  connect(pack_, &QPushButton::clicked, this, [this] { packing_.running() ? packing_.enough() : pack(); });
  connect(as_drawn_, &QPushButton::clicked, this,
          [this] { session_.commit(lay_as_drawn(session_.project()), tr("Lay everything as drawn")); });
  connect(together_, &QPushButton::clicked, &desk_, &SheetDesk::pushTogether);
  connect(everything_, &QPushButton::clicked, &desk_, &SheetDesk::runEverything);
  connect(&packing_, &PackRun::changed, this, &SheetsPanel::showPacking);
}

void SheetsPanel::pack() {
  if (!packing_.running()) packing_.start(nest_options(session_.project()), kPackSeconds);
}

void SheetsPanel::addHands() {
  auto* form = addForm(tr("In which order"));
  hands_ = new QComboBox(body());
  hands_->setObjectName(QStringLiteral("handsBox"));
  hands_->setAccessibleName(tr("Sheet by sheet, or tool by tool"));
  hands_->addItems({tr("sheet by sheet"), tr("tool by tool")});
  form->addRow(make_label(tr("mats go in"), "quiet", body()), hands_);
  hands_text_ = make_label({}, "quiet", body());
  hands_text_->setObjectName(QStringLiteral("handsText"));
  column()->addWidget(hands_text_);
  connect(hands_, &QComboBox::activated, this, [this](int at) {
    Project next = session_.project();
    next.plan.by_tool = at == 1;
    session_.commit(std::move(next), at == 1 ? tr("Run tool by tool") : tr("Run sheet by sheet"));
  });
}

void SheetsPanel::workOutHands() {
  const auto derived = session_.derivedHandle();
  if (hands_of_ == derived || derived->plan.passes.empty()) return;
  hands_of_ = derived;
  const auto say = [](const Plan& plan) {
    const Handwork hands = handwork_of(plan);
    QString out = tr("%1, %2 put in, %3")
                      .arg(span_text(plan.seconds, plan.spread_seconds()))
                      .arg(counted(static_cast<std::size_t>(hands.mats), tr("mat"), tr("mats")))
                      .arg(counted(static_cast<std::size_t>(hands.pauses), tr("pause"), tr("pauses")));
    if (hands.returns > 0) out += tr("; %1 again, so lines may not meet").arg(hands.returns);
    return out;
  };
  session_.aside([self = QPointer<SheetsPanel>(this), derived, say]() -> std::function<void()> {
    // The same with the other order.
    Project other = derived->project;
    other.plan.by_tool = !other.plan.by_tool;
    const Plan plan = make_plan(other, derived->layout);
    const QString now = say(derived->plan), then = say(plan);
    const bool by_tool = derived->project.plan.by_tool;
    return [self, derived, now, then, by_tool] {
      if (!self || self->hands_of_ != derived) return;
      self->hands_text_->setText(tr("By sheet: %1.\nBy tool: %2.").arg(by_tool ? then : now, by_tool ? now : then));
    };
  });
}

void SheetsPanel::showPacking() {
  const bool running = packing_.running();
  pack_->setText(running ? tr("Good enough") : tr("Pack the parts"));
  pack_->setEnabled(running || !session_.project().pieces.empty());
  const Layout& layout = session_.derived().layout;
  const bool drawn =
      std::all_of(layout.laid.begin(), layout.laid.end(), [](const LaidPart& part) { return part.drawn; });
  as_drawn_->setEnabled(!running && !drawn);
  together_->setEnabled(!running && !layout.laid.empty());
  together_->setText(desk_.chosen().empty() ? tr("Push together") : tr("Push these"));
  everything_->setVisible(
      !session_.derived().plan.not_now.empty() ||
      std::any_of(layout.laid.begin(), layout.laid.end(), [](const LaidPart& p) { return p.not_now; }));
  const auto waiting =
      std::count_if(layout.laid.begin(), layout.laid.end(), [](const LaidPart& part) { return part.sheet == 0; });
  QString text = layout.parts.empty() ? tr("A part appears for everything that comes off a sheet as one.")
                 : drawn              ? tr("%1, as drawn.").arg(counted(layout.laid.size(), tr("part"), tr("parts")))
                         : tr("%1, each in its own place.").arg(counted(layout.laid.size(), tr("part"), tr("parts")));
  if (waiting > 0) text += QStringLiteral(" ") + tr("%1 waiting for room.").arg(waiting);
  if (running) {
    text = packing_.sheets() == 0 ? tr("Packing…")
                                  : tr("So far %1, filled to %2 %.")
                                        .arg(counted(packing_.sheets(), tr("sheet"), tr("sheets")))
                                        .arg(QLocale().toString(100 * packing_.density(), 'f', 0));
    std::vector<PackBars::Answer> answers;
    for (const auto& [sheets, density] : packing_.answers()) answers.push_back({sheets, density});
    bars_->show(std::move(answers));
  }
  bars_->setVisible(running && packing_.sheets() > 0);
  packed_->setText(text);
}

void SheetsPanel::update() {
  const Project& project = session_.project();
  gap_->setValue(project.laying.gap_mm, project.unit);
  bleed_->setValue(project.laying.bleed_mm, project.unit);
  turns_->setCurrentIndex(turns_->findData(project.laying.turn_step_deg));
  int most = 1;
  for (const auto& record : project.parts) most = std::max(most, record.copies);
  copies_->setValue(most);
  hands_->setCurrentIndex(project.plan.by_tool ? 1 : 0);
  const Box figure = session_.drawing().bounds();
  setSubject(figure.empty() ? QString() : size_text(figure, project.unit) + QChar(' ') + unit_word(project.unit));
  const bool several = session_.derived().layout.loads() > 1;
  hands_text_->setVisible(several);
  if (several) workOutHands();
  showPacking();
}

}  // namespace dotlane
