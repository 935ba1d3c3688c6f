#include "app/panels/run_panel.hpp"

#include <QApplication>
#include <QHBoxLayout>
#include <QLocale>
#include <algorithm>
#include <set>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/check/checks.hpp"
#include "core/geometry/affine_fit.hpp"

namespace dotlane {

RunPanel::RunPanel(Session& session, RunController& run, QWidget* parent)
    : Panel(tr("Run"), parent), session_(session), run_(run) {
  setObjectName(QStringLiteral("runPanel"));
  contents_ = new QVBoxLayout;
  contents_->setSpacing(8);
  column()->addLayout(contents_);
  column()->addStretch();
  connect(&run_, &RunController::stateChanged, this, &RunPanel::rebuild);
  connect(&run_, &RunController::moved, this, &RunPanel::progress);
  connect(&session_, &Session::derivedChanged, this, [this] {
    if (run_.state() == RunController::State::idle) rebuild();
  });
  rebuild();
}

QPushButton* RunPanel::addButton(const QString& text, const char* kind, const char* name, QLayout* row,
                                 std::function<void()> action) {
  auto* button = new QPushButton(text, body());
  button->setObjectName(QString::fromLatin1(name));
  set_kind(button, kind);
  connect(button, &QPushButton::clicked, this, [action = std::move(action)] { action(); });
  row->addWidget(button);
  return button;
}

void RunPanel::addBullets(const QStringList& texts, QWidget* parent, QVBoxLayout* box) {
  for (const QString& text : texts) {
    auto* row = new QHBoxLayout;
    row->setSpacing(7);
    auto* dot = make_label(QStringLiteral("•"), "quiet", parent);
    dot->setWordWrap(false);
    row->addWidget(dot, 0, Qt::AlignTop);
    row->addWidget(make_label(text, "body", parent), 1);
    box->addLayout(row);
  }
}

void RunPanel::rebuild() {
  const bool had_focus = isAncestorOf(QApplication::focusWidget());
  clear(contents_);
  bar_ = nullptr;
  where_ = left_ = nullptr;
  leads_on_ = nullptr;
  holder_boxes_.clear();
  setSubject({});
  switch (run_.state()) {
    case RunController::State::idle:
      buildReady();
      break;
    case RunController::State::running:
    case RunController::State::held:
      buildRunning();
      break;
    case RunController::State::paused:
      buildPause();
      break;
    case RunController::State::over:
      buildOver();
      break;
  }
  // The button that had the keyboard is gone: hand it to the one that leads on.
  if (!had_focus || !leads_on_) return;
  leads_on_->show();  // what is not shown yet takes no focus, and it would jump elsewhere
  leads_on_->setFocus();
}

QStringList RunPanel::thingsToCheck(const std::vector<HolderLoad>& loads) const {
  const Project& project = session_.project();
  QStringList out;
  std::set<ToolKind> kinds;
  for (const auto& load : loads) {
    if (load.put_in.empty() && load.depth == 0) continue;
    const Tool* tool = find_tool(project, load.holds);
    if (!tool || !kinds.insert(tool->kind).second) continue;
    switch (tool->kind) {
      case ToolKind::blade:
        out << (load.depth > 0 ? tr("Make a test cut at that mark, on a scrap of the same stock.")
                : project.machine.sets_depth
                    ? tr("The machine sets the blade's depth. Make a test cut on a scrap of the same stock.")
                    : tr("Blade depth: set it for this stock. Make a test cut on a scrap."));
        break;
      case ToolKind::pen:
      case ToolKind::pencil:
      case ToolKind::chisel_marker:
        out << tr("Scribble on scrap until the ink runs evenly.")
            << tr("Set the tip's height over a scrap, so that it leaves no dot on the work.");
        break;
      case ToolKind::foil_tip:
        out << tr("Tape the foil flat over the whole area. The heated tip burns: keep fingers away.");
        break;
      case ToolKind::engraving_tip:
        out << tr(
            "Tape the blank on all four sides. Lift shards with tape, never with fingers; do not blow dust at your "
            "face.");
        break;
      case ToolKind::scoring_tip:
        out << tr("The scoring tip points straight down and does not turn in its holder.");
        break;
      case ToolKind::embossing_tip:
      case ToolKind::stippling_point:
        out << tr("Lay a soft sheet under the card: it is pressed, not cut.");
        break;
      case ToolKind::other:
        break;
    }
  }
  return out;
}

void RunPanel::addHolders(QVBoxLayout* box, QWidget* parent, const std::vector<HolderLoad>& loads, bool choose) {
  const Project& project = session_.project();
  for (const auto& load : loads) {
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    auto* mark = new QLabel(parent);
    mark->setPixmap(holder_icon(load.holder).pixmap(20, 20));
    row->addWidget(mark, 0, Qt::AlignTop);
    auto* column = new QVBoxLayout;
    column->setSpacing(0);
    QString text;
    const QString depth = QLocale().toString(load.depth, 'g', 3);
    if (load.put_in.empty() && load.depth > 0) {
      text = tr("keep %1, set it to <b>mark %2</b>").arg(tool_name(project, load.holds), depth);
    } else if (load.put_in.empty()) {
      text = load.holds.empty() ? tr("stays empty") : tr("keep %1").arg(tool_name(project, load.holds));
    } else if (load.take_out.empty()) {
      text = tr("put in <b>%1</b>").arg(tool_name(project, load.put_in));
    } else {
      text =
          tr("take out %1, put in <b>%2</b>").arg(tool_name(project, load.take_out), tool_name(project, load.put_in));
    }
    if (!load.put_in.empty() && load.depth > 0) text += tr(", set to <b>mark %1</b>").arg(depth);
    column->addWidget(make_label(text, "body", parent));
    if (choose) {
      auto* now = new QComboBox(parent);
      now->setObjectName(QStringLiteral("holderBox%1").arg(load.holder));
      now->setAccessibleName(tr("What is in holder %1 now").arg(load.holder));
      set_kind(now, "boxed");
      now->addItem(tr("empty"), QString());
      for (const auto& tool : project.tools) now->addItem(qs(tool.name), qs(tool.id));
      now->setCurrentIndex(std::max(0, now->findData(qs(load.holds))));
      holder_boxes_.push_back(now);
      column->addWidget(now);
    }
    row->addLayout(column, 1);
    box->addLayout(row);
  }
}

void RunPanel::addPrinted(QVBoxLayout* box, QWidget* parent, int load) {
  const auto derived = session_.derivedHandle();
  const Project& project = derived->project;
  bool any = false;
  for (const auto& placed : derived->layout.sheets) {
    if (placed.sheet.load != load || !placed.sheet.printed || placed.sheet.not_now) continue;
    any = true;
    const auto number = &placed - derived->layout.sheets.data() + 1;
    const bool found = project.machine.reads_marks && marks_of(project, placed.sheet);
    box->addWidget(make_label(
        found
            ? tr("Sheet %1 is printed first, at 100 %. Lay it within %2 and 3° of its place, the small dot at the top "
                 "left; the cutter finds its marks.")
                  .arg(number)
                  .arg(length_text(5, project.unit))
            : tr("Sheet %1 is printed first, at 100 %. Lay it exactly in its place: nothing looks for the print.")
                  .arg(number),
        "body", parent));
  }
  if (any) addButton(tr("Save what is printed…"), "pill", "savePrint", box, [this] { emit printAsked(); });
}

void RunPanel::buildReady() {
  const Project& project = session_.project();
  const Plan& plan = session_.derived().plan;
  if (plan.passes.empty()) {
    contents_->addWidget(make_label(tr("Nothing to run yet: give lines a role and a tool first."), "quiet", body()));
    return;
  }
  setSubject(span_text(plan.seconds, plan.spread_seconds()));
  auto* card = new QFrame(body());
  set_kind(card, "card");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  box->setSpacing(7);
  box->addWidget(make_label(tr("Before you start"), "name", card));
  for (const auto& sheet : project.sheets) {
    if (sheet.load != plan.passes.front().load) continue;
    const Stock* stock = find_stock(project, sheet.stock);
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    auto* swatch = new QLabel(card);
    swatch->setPixmap(swatch_icon(stock ? to_qcolor(stock->color) : theme().field).pixmap(20, 20));
    row->addWidget(swatch, 0, Qt::AlignTop);
    row->addWidget(make_label(tr("lay <b>%1</b>, %2 %3, on the mat")
                                  .arg(qs(stock ? stock->name : sheet.stock), size_text(sheet.area, project.unit),
                                       unit_word(project.unit)),
                              "body", card),
                   1);
    box->addLayout(row);
  }
  addPrinted(box, card, plan.passes.front().load);
  addHolders(box, card, plan.first_load, false);
  contents_->addWidget(card);
  QStringList checks = thingsToCheck(plan.first_load);
  if (plan.mirrored) checks << tr("The job is mirrored here. Leave the machine's mirror switch off.");
  addBullets(checks, body(), contents_);
  contents_->addWidget(make_label(tr("Blades and swarf cut skin. Stay with a heated or engraving run. The machine's "
                                     "manual, the material's data sheet and local rules come first."),
                                  "quiet", body()));
  const auto errors = std::count_if(session_.derived().findings.begin(), session_.derived().findings.end(),
                                    [](const Finding& f) { return f.severity == Severity::error; });
  if (errors > 0)
    contents_->addWidget(make_label(tr("%1 in Second look must be settled first, or parts will be missing or spoiled.")
                                        .arg(counted(static_cast<std::size_t>(errors), tr("finding"), tr("findings"))),
                                    "serious", body()));
  auto* scale = new QComboBox(body());
  scale->setObjectName(QStringLiteral("scaleBox"));
  scale->setAccessibleName(tr("Speed of the rehearsal"));
  set_kind(scale, "boxed");
  scale->addItem(tr("at the speed of the machine"), 1.0);
  scale->addItem(tr("8 times as fast"), 8.0);
  scale->addItem(tr("60 times as fast"), 60.0);
  scale->addItem(tr("as fast as it can"), 0.0);
  scale->setCurrentIndex(scale_row_);
  connect(scale, &QComboBox::currentIndexChanged, this, [this](int row) { scale_row_ = row; });
  contents_->addWidget(scale);
  leads_on_ = addButton(errors > 0 ? tr("Rehearse anyway") : tr("Rehearse on the simulated cutter"), "primary",
                        "startRun", contents_, [this, scale] {
                          run_.setTimeScale(scale->currentData().toDouble());
                          session_.whenDerived([this] { run_.start(); });
                        });
}

void RunPanel::buildRunning() {
  const bool held = run_.state() == RunController::State::held;
  left_ = make_label({}, "figure", body());
  contents_->addWidget(left_);
  where_ = make_label({}, "body", body());
  contents_->addWidget(where_);
  bar_ = new QProgressBar(body());
  bar_->setRange(0, 1000);
  bar_->setTextVisible(false);
  bar_->setAccessibleName(tr("How far the run is"));
  contents_->addWidget(bar_);
  auto* row = new QHBoxLayout;
  if (held) {
    leads_on_ = addButton(tr("Go on"), "primary", "resumeRun", row, [this] { run_.resume(); });
  } else {
    leads_on_ = addButton(tr("Hold"), "pill", "holdRun", row, [this] { run_.hold(); });
  }
  addButton(tr("Cancel the run"), "pill", "cancelRun", row, [this] { run_.cancel(); });
  contents_->addLayout(row);
  contents_->addWidget(
      make_label(tr("Do not unload the mat between passes: what is drawn and what is cut must land in register."),
                 "quiet", body()));
  progress();
}

void RunPanel::progress() {
  if (!bar_) return;
  const Plan& plan = run_.plan();
  bar_->setValue(plan.seconds > 0 ? static_cast<int>(1000 * run_.planTime() / plan.seconds) : 0);
  left_->setText(run_.state() == RunController::State::held ? tr("Held")
                                                            : tr("%1 left").arg(time_text(run_.secondsLeft())));
  const int current = run_.currentPass();
  if (current < 1) return;
  const Pass& pass = plan.passes[static_cast<std::size_t>(current) - 1];
  where_->setText(tr("Pass %1 of %2: %3 with %4, holder %5")
                      .arg(current)
                      .arg(plan.passes.size())
                      .arg(role_name(pass), tool_name(session_.project(), pass.tool))
                      .arg(pass.holder));
}

void RunPanel::buildPause() {
  const Pause* pause = run_.pause();
  if (!pause) return;
  const auto number = pause - run_.plan().pauses.data() + 1;
  setSubject(tr("pause %1 of %2").arg(number).arg(run_.plan().pauses.size()));
  auto* card = new QFrame(body());
  card->setObjectName(QStringLiteral("pauseCard"));
  set_kind(card, "hands");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  box->setSpacing(8);
  box->addWidget(make_label(pause->hands() ? tr("Hands needed") : tr("Ink has to dry"), "title", card));
  if (pause->change_mat) {
    QStringList names;
    for (const auto& sheet : session_.project().sheets) {
      const Stock* stock = find_stock(session_.project(), sheet.stock);
      if (sheet.load == pause->load && stock) names << qs(stock->name);
    }
    box->addWidget(make_label(
        tr("Take the mat out and put in mat load %1 with <b>%2</b>.").arg(pause->load).arg(names.join(tr(" and "))),
        "body", card));
    addPrinted(box, card, pause->load);
  } else {
    box->addWidget(make_label(tr("Leave the mat where it is."), "body", card));
  }
  addHolders(box, card, pause->holders, true);
  const QStringList checks = thingsToCheck(pause->holders);
  if (!checks.isEmpty()) box->addWidget(make_label(tr("Then check"), "name", card));
  addBullets(checks, card, box);
  if (pause->dries_s > 0)
    box->addWidget(make_label(tr("Wait %1 until the ink is dry that pass %2 goes over.")
                                  .arg(time_text(pause->dries_s))
                                  .arg(pause->before_pass + 1),
                              "body", card));
  if (!run_.problem().isEmpty()) box->addWidget(make_label(run_.problem(), "serious", card));
  contents_->addWidget(card);
  auto* row = new QHBoxLayout;
  leads_on_ =
      addButton(pause->hands() ? tr("Loaded, go on") : tr("Dry, go on"), "primary", "confirmLoaded", row, [this] {
        std::vector<std::string> holders;
        for (const auto* combo : holder_boxes_) holders.push_back(combo->currentData().toString().toStdString());
        run_.confirmLoaded(holders);
      });
  leads_on_->setFocus();
  addButton(tr("Cancel the run"), "pill", "cancelRun", row, [this] { run_.cancel(); });
  contents_->addLayout(row);
}

void RunPanel::buildOver() {
  const RunRecord& record = run_.record();
  const bool done = record.outcome == Outcome::done;
  setSubject(done ? tr("done") : record.outcome == Outcome::cancelled ? tr("cancelled") : tr("failed"));
  auto* card = new QFrame(body());
  set_kind(card, done ? "card" : "serious");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  box->addWidget(make_label(done                                   ? tr("The rehearsal is done")
                            : record.outcome == Outcome::cancelled ? tr("The run was cancelled")
                                                                   : tr("The run failed"),
                            "title", card));
  if (!record.problem.empty()) box->addWidget(make_label(qs(record.problem), "body", card));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(3);
  box->addLayout(form);
  auto figure = [&](const QString& name, const QString& value) {
    auto* label = make_label(value, "name", card);
    label->setAlignment(Qt::AlignRight);
    label->setWordWrap(false);
    form->addRow(make_label(name, "body", card), label);
  };
  figure(tr("running time"), time_text(record.seconds));
  const Plan& plan = run_.plan();
  figure(tr("as planned"), span_text(plan.running_seconds(), plan.spread_seconds()));
  figure(tr("pauses"), QLocale().toString(record.pauses));
  for (const auto& [tool, mm] : record.marked_mm)
    figure(tool_name(session_.project(), tool), run_length_text(mm, session_.project().unit));
  contents_->addWidget(card);
  const auto& layout = session_.derived().layout;
  for (const auto& found : record.registrations) {
    const Sheet* sheet = layout.sheet(found.sheet);
    if (!sheet) continue;
    const auto placed = std::find_if(layout.sheets.begin(), layout.sheets.end(),
                                     [&](const LaidSheet& s) { return s.sheet.id == found.sheet; });
    const Displacement by = displacement_of(found.map, sheet->area.centre());
    contents_->addWidget(
        make_label(tr("Sheet %1 lay %2 and %3° from its place; its marks agree within %4.")
                       .arg(placed - layout.sheets.begin() + 1)
                       .arg(length_text(distance({}, by.shift), session_.project().unit))
                       .arg(QLocale().toString(std::abs(by.turn_deg), 'f', 1))
                       .arg(length_number(std::max(0.01, found.residual_mm), session_.project().unit, 2) + QChar(' ') +
                            unit_word(session_.project().unit)),
                   "body", body()));
  }
  contents_->addWidget(
      make_label(tr("The bench shows what each tool marked, at the width of its tip."), "quiet", body()));
  leads_on_ = addButton(tr("Set up another run"), "soft", "clearRun", contents_, [this] { run_.clear(); });
}

}  // namespace dotlane
