#include "app/panels/run_panel.hpp"

#include <QApplication>
#include <QCheckBox>
#include <QHBoxLayout>
#include <QLocale>
#include <QPointer>
#include <QTimer>
#include <algorithm>
#include <array>
#include <utility>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/check/checks.hpp"
#include "core/plan/stock_book.hpp"
#include "words/sentences.hpp"

namespace dotlane {

namespace {

/// Of a rehearsal, as its box has them; 0: as fast as it can.
constexpr std::array kSpeeds{1.0, 8.0, 60.0, 0.0};

/// Line by line.
QString cost_text(const Cost& cost) {
  QStringList out;
  for (const auto& line : cost.lines) {
    const QString money = QLocale().toCurrencyString(static_cast<double>(line.hundredths) / 100);
    const QString name = qs(line.name);
    switch (line.what) {
      case Cost::Line::What::sheet:
        out << RunPanel::tr("a sheet of %1: %2").arg(name, money);
        break;
      case Cost::Line::What::offcut:
        out << RunPanel::tr("what is left of it: %1").arg(money);
        break;
      case Cost::Line::What::wear:
        out << RunPanel::tr("wear of %1: %2").arg(name, money);
        break;
      case Cost::Line::What::work:
        out << RunPanel::tr("work: %1").arg(money);
    }
  }
  return out.join(QLatin1Char('\n'));
}

}  // namespace

RunPanel::RunPanel(Session& session, RunController& run, LogDesk& log, QWidget* parent)
    : Panel(tr("Run"), parent), session_(session), run_(run), log_(log) {
  setObjectName(QStringLiteral("runPanel"));
  contents_ = new QVBoxLayout;
  contents_->setSpacing(8);
  column()->addLayout(contents_);
  column()->addStretch();
  choice_ = new CutterChoice(session_, body());
  choice_->hide();
  connect(choice_, &CutterChoice::changed, this, &RunPanel::rebuild, Qt::QueuedConnection);
  connect(&run_, &RunController::stateChanged, this, &RunPanel::rebuild);
  connect(&run_, &RunController::moved, this, &RunPanel::progress);
  connect(&run_, &RunController::writtenDown, this, &RunPanel::askHow);
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

void RunPanel::rebuild() {
  const bool had_focus = isAncestorOf(QApplication::focusWidget());
  contents_->removeWidget(choice_);
  choice_->hide();
  clear(contents_);
  clear(footer());
  bar_ = nullptr;
  where_ = left_ = drying_ = nullptr;
  how_ = nullptr;
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
  constexpr int kFoot = 10;
  footer()->setContentsMargins(18, footer()->count() == 0 ? 0 : kFoot - 4, 16, footer()->count() == 0 ? 0 : kFoot);
  // The button that had the keyboard is gone: hand it to the one that leads on.
  if (!had_focus || !leads_on_) return;
  leads_on_->show();  // what is not shown yet takes no focus, and it would jump elsewhere
  leads_on_->setFocus();
}

void RunPanel::addCard(const SetupCard& card, QVBoxLayout* box, QWidget* parent, bool choose) {
  const Project& project = session_.project();
  const auto icon = [&](const QPixmap& picture, QHBoxLayout* row) {
    auto* mark = new QLabel(parent);
    mark->setPixmap(picture);
    row->addWidget(mark, 0, Qt::AlignTop);
  };
  bool checking = false;
  for (const auto& point : card.points) {
    const QString text = qs(sentence(point.said, project.unit));
    if (point.kind == SetupPoint::Kind::caution) continue;
    if (point.kind == SetupPoint::Kind::check) {
      if (!std::exchange(checking, true)) box->addWidget(make_label(tr("Then check"), "name", parent));
      // A ticked point is one line of the journal.
      auto* tick = new QCheckBox(parent);
      tick->setObjectName(QStringLiteral("cardPoint"));
      tick->setAccessibleName(text);
      auto* row = new QHBoxLayout;
      row->setSpacing(6);
      row->addWidget(tick, 0, Qt::AlignTop);
      auto* words = make_label(text, "body", parent);
      words->setBuddy(tick);
      row->addWidget(words, 1);
      box->addLayout(row);
      connect(tick, &QCheckBox::toggled, this, [this, text](bool on) {
        if (on) run_.acknowledge(text);
      });
      continue;
    }
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    if (point.kind == SetupPoint::Kind::lay) {
      const Stock* stock = find_stock(project, point.stock);
      if (stock) icon(swatch_icon(to_qcolor(stock->color)).pixmap(20, 20), row);
    } else {
      icon(holder_icon(point.holder).pixmap(20, 20), row);
    }
    row->addWidget(make_label(text, "body", parent), 1);
    box->addLayout(row);
  }
  if (choose && card.pause < run_.plan().pauses.size()) addHolders(box, parent, run_.plan().pauses[card.pause].holders);
}

void RunPanel::addHolders(QVBoxLayout* box, QWidget* parent, const std::vector<HolderLoad>& loads) {
  const Project& project = session_.project();
  box->addWidget(make_label(tr("In the holders now"), "name", parent));
  for (const auto& load : loads) {
    auto* row = new QHBoxLayout;
    row->setSpacing(8);
    auto* mark = new QLabel(parent);
    mark->setPixmap(holder_icon(load.holder).pixmap(20, 20));
    row->addWidget(mark);
    auto* now = new QComboBox(parent);
    now->setObjectName(QStringLiteral("holderBox%1").arg(load.holder));
    now->setAccessibleName(tr("What is in holder %1 now").arg(load.holder));
    set_kind(now, "boxed");
    keep_narrow(now);
    now->addItem(tr("empty"), QString());
    for (const auto& tool : project.tools) now->addItem(qs(tool.name), qs(tool.id));
    now->setCurrentIndex(std::max(0, now->findData(qs(load.holds))));
    holder_boxes_.push_back(now);
    row->addWidget(now, 1);
    box->addLayout(row);
  }
}

void RunPanel::buildReady() {
  const Project& project = session_.project();
  const Plan& plan = session_.derived().plan;
  if (plan.passes.empty()) {
    contents_->addWidget(make_label(tr("Nothing to run yet: give lines a role and a tool first."), "quiet", body()));
    addButton(tr("Practise with exercises…"), "chip", "practise", contents_, [this] { emit exercisesAsked(); });
    return;
  }
  setSubject(span_text(plan.seconds, plan.spread_seconds()));
  auto* card = new QFrame(body());
  set_kind(card, "card");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  box->setSpacing(7);
  box->addWidget(make_label(tr("Before you start"), "name", card));
  const auto derived = session_.derivedHandle();
  const auto cards = setup_cards(project, derived->layout, plan);
  addCard(cards.front(), box, card, false);
  contents_->addWidget(card);
  auto* ends = make_label({}, "serious", body());
  ends->setObjectName(QStringLiteral("runsOut"));
  ends->hide();
  contents_->addWidget(ends);
  const auto tell = [this, ends] {
    QStringList lines;
    for (const auto& finding : session_.findings()) {
      if (finding.code == "tool-runs-out") lines << qs(sentence(finding, session_.project().unit));
    }
    ends->setText(lines.join(QLatin1Char('\n')));
    ends->setVisible(!lines.isEmpty());
  };
  connect(&session_, &Session::findingsChanged, ends, tell);
  tell();
  addNext(cards.front());
  const bool printed = std::any_of(derived->layout.sheets.begin(), derived->layout.sheets.end(),
                                   [](const LaidSheet& s) { return s.sheet.printed && !s.sheet.not_now; });
  auto* costs = make_label({}, "body", body());
  costs->setObjectName(QStringLiteral("runCost"));
  costs->hide();
  contents_->addWidget(costs);
  session_.aside([label = QPointer<QLabel>(costs), derived] {
    const Cost cost = cost_of(derived->project, derived->drawing, derived->layout, derived->plan);
    return [label, cost] {
      if (!label || cost.lines.empty()) return;
      label->setText(tr("It costs %1.").arg(QLocale().toCurrencyString(static_cast<double>(cost.total()) / 100)));
      label->setToolTip(cost_text(cost));
      label->show();
    };
  });
  auto* papers = new QHBoxLayout;
  if (printed) addButton(tr("Save what is printed…"), "pill", "savePrint", papers, [this] { emit printAsked(); });
  addButton(tr("Save the job sheet…"), "pill", "saveJobSheet", papers, [this] { emit jobSheetAsked(); });
  contents_->addLayout(papers);
  for (const auto& point : cards.front().points) {
    if (point.kind == SetupPoint::Kind::caution)
      contents_->addWidget(make_label(qs(sentence(point.said, project.unit)), "quiet", body()));
  }
  const auto errors = std::count_if(session_.derived().findings.begin(), session_.derived().findings.end(),
                                    [](const Finding& f) { return f.severity == Severity::error; });
  if (errors > 0)
    contents_->addWidget(make_label(tr("%1 in Second look must be settled first, or parts will be missing or spoiled.")
                                        .arg(counted(static_cast<std::size_t>(errors), tr("finding"), tr("findings"))),
                                    "serious", body()));
  auto* first = new QHBoxLayout;
  const bool cuts =
      std::any_of(plan.passes.begin(), plan.passes.end(), [](const Pass& p) { return p.role == Role::cut; });
  if (cuts && choice_->what() != CutterChoice::What::file)
    addButton(tr("Test cut first"), "pill", "testCut", first, [this] { begin([this] { run_.startTest(); }); });
  addButton(tr("Exercises…"), "pill", "practise", first, [this] { emit exercisesAsked(); });
  contents_->addLayout(first);
  contents_->insertWidget(0, choice_);  // where and how comes first
  choice_->show();
  const bool simulated = choice_->what() == CutterChoice::What::simulated;
  auto* scale = new QComboBox(body());
  scale->setObjectName(QStringLiteral("scaleBox"));
  scale->setAccessibleName(tr("Speed of the rehearsal"));
  set_kind(scale, "boxed");
  scale->addItems(
      {tr("at the speed of the machine"), tr("8 times as fast"), tr("60 times as fast"), tr("as fast as it can")});
  scale->setCurrentIndex(scale_row_);
  connect(scale, &QComboBox::currentIndexChanged, this, [this](int row) { scale_row_ = row; });
  contents_->insertWidget(1, scale);
  scale->setVisible(simulated);
  auto* what_if = new QComboBox(body());
  what_if->setObjectName(QStringLiteral("whatIfBox"));
  what_if->setAccessibleName(tr("What goes wrong in the rehearsal"));
  set_kind(what_if, "boxed");
  keep_narrow(what_if);
  what_if->addItem(tr("with everything as it should be"), QString());
  what_if->addItem(tr("what if tools land a little off?"), QStringLiteral("landing"));
  const auto what_ifs = std::to_array<std::pair<FaultKind, QString>>(
      {{FaultKind::slip, tr("what if the mat slips?")},
       {FaultKind::dry, tr("what if a pen runs dry?")},
       {FaultKind::wear, tr("what if a blade goes blunt?")},
       {FaultKind::wrong_tool, tr("what if two tools are in each other's holders?")},
       {FaultKind::jam, tr("what if the head is blocked?")},
       {FaultKind::link, tr("what if the line goes dead?")},
       {FaultKind::power, tr("what if the power fails?")}});
  for (const auto& [kind, text] : what_ifs) what_if->addItem(text, QString::fromUtf8(word(kind)));
  what_if->setCurrentIndex(what_if_row_);
  const auto say = [this, what_if] {
    what_if_row_ = what_if->currentIndex();
    const QString chosen = what_if->currentData().toString();
    run_.setWhatIf(!chosen.isEmpty(), fault_from(chosen.toStdString()));
  };
  connect(what_if, &QComboBox::currentIndexChanged, this, say);
  say();
  contents_->insertWidget(2, what_if);
  what_if->setVisible(simulated);
  if (choice_->what() == CutterChoice::What::port)
    contents_->insertWidget(
        1, make_label(tr("This moves a real machine. Rehearse the job first; stay with it, and know where its "
                         "switch is."),
                      "serious", body()));
  const QString real = choice_->what() == CutterChoice::What::port ? tr("Run on the cutter") : tr("Write the file…");
  leads_on_ = addButton(!simulated   ? real
                        : errors > 0 ? tr("Rehearse anyway")
                                     : tr("Rehearse on the simulated cutter"),
                        "primary", "startRun", footer(), [this] { begin([this] { run_.start(); }); });
}

void RunPanel::rehearse() {
  if (choice_->what() != CutterChoice::What::simulated) return;  // a machine is started by its own button alone
  run_.clear();
  begin([this] { run_.start(); });
}

void RunPanel::begin(const std::function<void()>& start) {
  // The simulated cutter stays; another is reached anew for each run.
  const bool other = choice_->what() != CutterChoice::What::simulated;
  if (other || chosen_) {
    auto link = choice_->make();
    if (!link) return;
    run_.setCutter(std::move(link));
    chosen_ = other;
  }
  run_.setTimeScale(kSpeeds[static_cast<std::size_t>(scale_row_)]);
  session_.whenDerived([start] { start(); });
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
  footer()->addLayout(row);
  if (held) {
    auto* passes = new QHBoxLayout;
    addButton(tr("Leave this pass out"), "pill", "leavePass", passes, [this] { run_.leavePass(); });
    addButton(tr("This pass once more"), "pill", "repeatPass", passes, [this] { run_.repeatPass(); });
    contents_->addLayout(passes);
  }
  if (!run_.journalProblem().isEmpty())
    contents_->addWidget(
        make_label(tr("Nothing more is sent: the journal of the run cannot be written (%1). Make room on "
                      "the disk; it goes on by itself.")
                       .arg(run_.journalProblem()),
                   "serious", body()));
  if (run_.maySleep())
    contents_->addWidget(
        make_label(tr("Nothing here keeps the desktop awake: switch its sleep off for as long as the run "
                      "takes."),
                   "quiet", body()));
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
  const auto cards = setup_cards(session_.project(), session_.derived().layout, run_.plan());
  const auto at = static_cast<std::size_t>(number);  // the first one is for the start
  if (at < cards.size()) addCard(cards[at], box, card, true);
  if (pause->dries_s > 0) {
    drying_ = make_label({}, "name", card);
    drying_->setObjectName(QStringLiteral("dryingLabel"));
    box->addWidget(drying_);
    showDrying();
  }
  if (!run_.problem().isEmpty()) box->addWidget(make_label(run_.problem(), "serious", card));
  contents_->addWidget(card);
  if (at < cards.size()) addNext(cards[at]);
  auto* row = new QHBoxLayout;
  leads_on_ =
      addButton(pause->hands() ? tr("Loaded, go on") : tr("Dry, go on"), "primary", "confirmLoaded", row, [this] {
        std::vector<std::string> holders;
        for (const auto* combo : holder_boxes_) holders.push_back(combo->currentData().toString().toStdString());
        run_.confirmLoaded(holders);
      });
  leads_on_->setFocus();
  addButton(tr("Cancel the run"), "pill", "cancelRun", row, [this] { run_.cancel(); });
  footer()->addLayout(row);
}

void RunPanel::addNext(const SetupCard& card) {
  contents_->addWidget(make_label(card.last ? tr("Then it runs to the end, about %1.").arg(time_text(card.next_hands_s))
                                            : tr("Then hands are free for about %1.").arg(time_text(card.next_hands_s)),
                                  "quiet", body()));
}

void RunPanel::showDrying() {
  const Pause* pause = run_.pause();
  if (!drying_ || !pause) return;
  // Hands do their part first; the ink dries meanwhile.
  const double left = pause->seconds - run_.pausedFor();
  drying_->setText(left > 0 ? tr("dry in %1").arg(time_text(left)) : tr("dry now"));
  constexpr int kSecond = 1000;
  if (left > 0) QTimer::singleShot(kSecond, drying_, [this] { showDrying(); });
}

}  // namespace dotlane
