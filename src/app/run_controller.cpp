#include "app/run_controller.hpp"

#include <QDateTime>
#include <QPointer>
#include <QUuid>
#include <algorithm>
#include <random>
#include <utility>

#include "app/run_shelf.hpp"
#include "core/format/project_json.hpp"
#include "core/layout/test_cut.hpp"
#include "core/logbook/log_run.hpp"
#include "device/run_again.hpp"
#include "render/sheet_export.hpp"
#include "words/sentences.hpp"

namespace dotlane {

namespace {

JournalHead head_of(const Derived& derived, const QString& file, unsigned seed) {
  JournalHead head;
  head.file = file.toStdString();
  head.job = QUuid::createUuid().toString(QUuid::Id128).toStdString();
  head.project = derived.project.name;
  head.begun = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
  head.laid_seed = seed;
  return head;
}

/// Some moment of a run, neither at its beginning nor at its end.
double share_by_chance(unsigned seed) {
  std::mt19937 random(seed * 7919 + static_cast<unsigned>(QDateTime::currentMSecsSinceEpoch()));
  return 0.15 + 0.7 * static_cast<double>(random()) / static_cast<double>(std::mt19937::max());
}

}  // namespace

RunController::RunController(Session& session, LogDesk& log, std::unique_ptr<CutterLink> link, QObject* parent)
    : QObject(parent), session_(session), log_(log), runner_(std::move(link)) {
  connect(&runner_, &JobRunner::moved, this, [this](const HeadState& head) {
    head_ = head;
    emit moved();
  });
  connect(&runner_, &JobRunner::paused, this, [this](const LoadMarker& wanted) {
    wanted_ = wanted;
    paused_since_.start();
    problem_.clear();
    set(State::paused);
  });
  connect(&runner_, &JobRunner::wrongLoad, this, [this](const QString& problem) {
    problem_ = problem;
    set(State::paused);
  });
  connect(&awake_, &Awake::changed, this, [this] {
    if (maySleep()) emit stateChanged();
  });
  connect(&runner_, &JobRunner::recalling, this, &RunController::stateChanged);
  connect(&runner_, &JobRunner::journalChanged, this, &RunController::stateChanged);
  connect(&runner_, &JobRunner::finished, this, [this](const RunRecord& record) {
    problem_ = QString::fromStdString(sentence(record.problem));
    set(State::over);
    judge();
  });
}

void RunController::judge() {
  outcome_.reset();
  session_.aside([self = QPointer<RunController>(this), job = runner_.job(),
                  record = std::make_shared<const RunRecord>(runner_.record())] {
    const auto found = job ? compare(*job, *record) : OutcomeReport{};
    return [self, found, job, record] {
      if (!self || self->state_ != State::over || self->runner_.job() != job) return;
      self->outcome_ = found;
      self->writeDown(found, record);
      emit self->stateChanged();
    };
  });
}

void RunController::writeDown(const OutcomeReport& found, const std::shared_ptr<const RunRecord>& record) {
  const auto job = runner_.job();
  if (!job || !run_project_ || !run_text_ || world_) return;  // an exercise is nobody's own work
  const auto entry = [project = run_project_, job, journal = runner_.journal(), record, found] {
    return dotlane::logged(*project, *job, journal, record.get(), &found);
  };
  const auto picture = [project = run_project_, of = run_of_, record] {
    return run_picture(*project, of.get(), *record);
  };
  log_.keep(entry, run_text_, picture, [self = QPointer<RunController>(this), job](const LoggedRun& run) {
    if (!self || self->runner_.job() != job || self->state_ != State::over) return;
    self->logged_ = run;
    emit self->writtenDown();
  });
}

bool RunController::canGoOn() const {
  return state_ == State::over && runner_.record().outcome != Outcome::done && !mat_out_ && runner_.job() &&
         runner_.part() > 0;
}

RunController::Strokes RunController::strokes() const {
  Strokes out;
  if (!runner_.job()) return out;
  const auto& all = runner_.job()->instructions;
  for (std::size_t i = 0; i < all.size(); ++i) {
    if (!std::holds_alternative<RunHead>(all[i].what) || all[i].stroke == npos) continue;
    ++out.all;
    out.made += i < runner_.place().instruction;
    out.maybe += i < std::max(runner_.place(), runner_.sentTo()).instruction;
  }
  return out;
}

void RunController::goOn() {
  if (!canGoOn()) return;
  problem_.clear();
  outcome_.reset();
  logged_.reset();
  set(State::running);
  runner_.goOn();
}

void RunController::goOnAfter(std::size_t strokes) {
  if (!canGoOn()) return;
  const auto& all = runner_.job()->instructions;
  std::size_t at = 0;
  for (std::size_t i = 0, n = 0; i < all.size() && n < strokes; ++i) {
    if (!std::holds_alternative<RunHead>(all[i].what) || all[i].stroke == npos) continue;
    ++n, at = i + 1;
  }
  problem_.clear();
  outcome_.reset();
  logged_.reset();
  set(State::running);
  runner_.goOnAt({at, 0});
}

void RunController::jumpTo(std::size_t pass) {
  if (state_ != State::held || !runner_.job()) return;
  const auto& all = runner_.job()->instructions;
  const auto first = std::find_if(all.begin(), all.end(), [&](const Instruction& i) {
    return i.pass == pass || std::holds_alternative<EndJob>(i.what);
  });
  set(State::running);
  runner_.jump({static_cast<std::size_t>(first - all.begin()), 0});
}

void RunController::leavePass() {
  jumpTo(static_cast<std::size_t>(std::max(1, currentPass())));  // they count from 1: this is the next one
}

void RunController::repeatPass() {
  if (state_ != State::held || !runner_.job()) return;
  const auto pass = static_cast<std::size_t>(std::max(1, currentPass()) - 1);
  const auto& all = runner_.job()->instructions;
  // Not its pause: what it needs is loaded.
  const auto first = std::find_if(all.begin(), all.end(), [&](const Instruction& i) {
    return i.pass == pass && !std::holds_alternative<LoadHolders>(i.what);
  });
  set(State::running);
  runner_.jump({static_cast<std::size_t>(first - all.begin()), 0});
}

void RunController::matTakenOut() {
  if (!canGoOn()) return;
  runner_.matUnloaded();
  mat_out_ = true;
  emit stateChanged();
}

void RunController::takeUp(const QString& folder) {
  if (active()) return;
  starting_ = true;
  mat_out_ = testing_ = false;
  problem_.clear();
  outcome_.reset();
  run_of_.reset();
  run_project_.reset(), run_text_.reset();
  logged_.reset();
  plan_ = std::make_shared<const Plan>();
  print_.reset();
  lies_.clear();
  head_ = {};
  set(State::running);
  session_.aside(
      [self = QPointer<RunController>(this), folder] {
        auto again = std::make_shared<Result<RunAgain>>(run_again(folder.toStdString()));
        return [self, folder, again] {
          if (!self || !std::exchange(self->starting_, false)) return;
          if (!*again) {
            self->problem_ = QString::fromStdString(line_of(again->error()));
            self->set(State::idle);
            emit self->session_.said(self->problem_, true);
            return;
          }
          const auto job = (*again)->papers.job;
          self->run_project_ = std::make_shared<const Project>((*again)->project);
          self->run_text_ = std::make_shared<const std::string>((*again)->papers.project);
          self->plan_ = std::shared_ptr<const Plan>(job, &job->plan);
          for (const auto& sheet : job->printed) self->lies_[sheet.sheet] = sheet.placement;
          const JournalState state = (*again)->state;
          (void)self->runner_.takeUp(std::move((*again)->papers), folder, state);
          self->problem_ = QString::fromStdString(sentence(self->runner_.record().problem));
          if (self->problem_.isEmpty())
            self->problem_ = tr("It was broken off when the program ended. Nothing moves before you go on.");
          self->set(State::over);
        };
      },
      1);
}

void RunController::set(State state) {
  state_ = state;
  if (active()) {
    awake_.keep(tr("A job is running on the cutter"));
  } else {
    awake_.let();
  }
  emit stateChanged();
}

const Pause* RunController::pause() const {
  const auto i = static_cast<std::size_t>(wanted_.number - 1);
  return state_ == State::paused && wanted_.number >= 1 && i < plan_->pauses.size() ? &plan_->pauses[i] : nullptr;
}

double RunController::pausedFor() const {
  constexpr double kMs = 1000;
  return state_ == State::paused && paused_since_.isValid() ? static_cast<double>(paused_since_.elapsed()) / kMs : 0;
}

double RunController::planTime() const {
  if (const Pause* now = pause()) return now->start_s;
  const auto& job = runner_.job();
  if (!job || plan_->passes.empty() || starting_) return 0;
  if (!runner_.capabilities().confirms) return std::min(head_.seconds, plan_->seconds);
  const JobPlace place = runner_.place();
  if (place.instruction >= job->instructions.size()) return plan_->seconds;
  const Instruction& now = job->instructions[place.instruction];
  if (now.pass >= plan_->passes.size()) return place.instruction == 0 ? 0 : plan_->seconds;
  const Pass& pass = plan_->passes[now.pass];
  if (now.stroke == npos) return pass.start_s;
  const std::size_t n = static_cast<std::size_t>(now.round) * pass.strokes.size() + now.stroke;
  if (n >= pass.stroke_end_s.size()) return pass.start_s;
  const double from = n > 0 ? pass.stroke_end_s[n - 1] : pass.marks_s + pass.ready_s;
  const auto* run = std::get_if<RunHead>(&now.what);
  double length = 0;
  for (std::size_t i = 1; run && i < run->head.size(); ++i) length += distance(run->head[i - 1], run->head[i]);
  const double share = length > 0 ? std::min(1.0, place.run_mm / length) : 0;
  return pass.start_s + from + (pass.stroke_end_s[n] - from) * share;
}

int RunController::currentPass() const {
  const double t = planTime();
  int current = plan_->passes.empty() ? 0 : 1;
  for (const auto& pass : plan_->passes) {
    if (t >= pass.start_s - 1e-6) current = pass.index;
  }
  return current;
}

double RunController::secondsLeft() const { return std::max(0.0, plan_->seconds - planTime()); }

void RunController::setTimeScale(double scale) { runner_.setTimeScale(scale); }

void RunController::start() {
  if (active()) return;
  testing_ = false;
  begin(session_.derivedHandle());
}

void RunController::startTest() {
  if (active()) return;
  session_.aside([self = QPointer<RunController>(this), of = session_.derivedHandle()] {
    const auto test = std::make_shared<const TestCut>(test_cut_of(of->project, of->drawing, of->layout));
    DrawingCache cache;
    const auto derived = test->empty() ? nullptr : std::make_shared<const Derived>(derive(test->project, cache));
    return [self, of, test, derived] {
      if (!self || self->active() || self->session_.derivedHandle() != of) return;
      if (!test->no_room.empty() || test->empty())
        emit self->session_.said(test->empty() ? tr("No sheet that is cut has a free corner of 12 mm for a test.")
                                               : tr("Not every sheet has a free corner of 12 mm: some are not tested."),
                                 true);
      if (!derived) return;
      self->testing_ = true;
      self->begin(derived);
    };
  });
}

void RunController::begin(const std::shared_ptr<const Derived>& derived) {
  if (derived->plan.passes.empty()) return;
  run_of_ = derived;
  run_project_ = std::shared_ptr<const Project>(derived, &derived->project);
  run_text_.reset();
  logged_.reset();
  plan_ = std::shared_ptr<const Plan>(derived, &derived->plan);
  head_ = {};
  head_.position = home_of(session_.project().machine);
  head_.mat = plan_->passes.front().load;
  problem_.clear();
  outcome_.reset();
  mat_out_ = false;
  print_ = std::make_shared<const Print>(derived);
  lies_.clear();
  starting_ = true;
  set(State::running);
  session_.aside(
      [self = QPointer<RunController>(this), derived, seed = ++runs_,
       file = session_.modified() || testing_ ? QString() : session_.path(), landing = landing_, fault = fault_,
       world = world_, rehearsed = runner_.capabilities().rehearses, test = testing_] {
        auto job = std::make_shared<Job>(compile(derived->plan, derived->project.machine));
        job->printed = laid_by_chance(derived->project, derived->layout, derived->plan, seed);
        Physics physics = world ? world(derived->project) : physics_of(derived->project, landing);
        physics.seed = seed;
        if (fault) physics.faults.push_back({*fault, derived->plan.running_seconds() * share_by_chance(seed)});
        JournalHead head = head_of(*derived, file, seed);
        head.rehearsed = rehearsed, head.test_cut = test;
        auto papers =
            std::make_shared<RunPapers>(papers_of(job, std::move(head), to_json(derived->project), std::move(physics)));
        return [self, papers] {
          if (!self || !self->starting_) return;  // cancelled meanwhile
          self->starting_ = false;
          self->run_text_ = std::make_shared<const std::string>(papers->project);
          for (const auto& sheet : papers->job->printed) self->lies_[sheet.sheet] = sheet.placement;
          if (!self->lies_.empty()) emit self->stateChanged();
          self->runner_.start(std::move(*papers), new_run_folder());
        };
      },
      1);
}

void RunController::confirmLoaded(const std::vector<std::string>& holders) {
  if (state_ != State::paused) return;
  problem_.clear();
  runner_.confirmLoaded(holders);
  set(State::running);
}

void RunController::hold() {
  if (state_ != State::running || starting_) return;
  runner_.hold();
  set(State::held);
}

void RunController::resume() {
  if (state_ != State::held) return;
  runner_.resumeHeld();
  set(State::running);
}

void RunController::cancel() {
  if (std::exchange(starting_, false)) return set(State::idle);
  if (active()) runner_.cancel();
}

void RunController::clear() {
  if (state_ == State::over) set(State::idle);
}

}  // namespace dotlane
