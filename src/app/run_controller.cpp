#include "app/run_controller.hpp"

#include <QPointer>
#include <algorithm>
#include <utility>

namespace dotlane {

RunController::RunController(Session& session, std::unique_ptr<CutterLink> link, QObject* parent)
    : QObject(parent), session_(session), link_(std::move(link)) {
  connect(link_.get(), &CutterLink::moved, this, [this](const HeadState& head) {
    head_ = head;
    emit moved();
  });
  connect(link_.get(), &CutterLink::paused, this, [this](const LoadMarker& wanted) {
    wanted_ = wanted;
    problem_.clear();
    set(State::paused);
  });
  connect(link_.get(), &CutterLink::wrongLoad, this, [this](const QString& problem) {
    problem_ = problem;
    set(State::paused);
  });
  connect(link_.get(), &CutterLink::finished, this, [this](const RunRecord& record) {
    problem_ = QString::fromStdString(record.problem);
    set(State::over);
  });
}

void RunController::set(State state) {
  state_ = state;
  emit stateChanged();
}

const Pause* RunController::pause() const {
  const auto i = static_cast<std::size_t>(wanted_.number - 1);
  return state_ == State::paused && wanted_.number >= 1 && i < plan_->pauses.size() ? &plan_->pauses[i] : nullptr;
}

double RunController::planTime() const {
  // The cutter's clock does not run during pauses, and the simulated one keeps the plan's pace without its factors.
  double running = head_.seconds, time = 0;
  for (const auto& pass : plan_->passes) {
    if (state_ != State::over && pass.index - 1 >= 0) {
      const Pause* now = pause();
      if (now && now->before_pass == static_cast<std::size_t>(pass.index - 1)) return now->start_s;
    }
    const double seconds = pass.seconds / pass.pace.factor;
    if (running <= seconds) return pass.start_s + running * pass.pace.factor;
    running -= seconds;
    time = pass.start_s + pass.seconds;
  }
  return time;
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

void RunController::setTimeScale(double scale) { link_->setTimeScale(scale); }

void RunController::start() {
  const auto derived = session_.derivedHandle();
  if (derived->plan.passes.empty() || active()) return;
  plan_ = std::shared_ptr<const Plan>(derived, &derived->plan);
  head_ = {};
  head_.position = home_of(session_.project().machine);
  head_.mat = plan_->passes.front().load;
  problem_.clear();
  std::vector<std::string> holders;
  for (const auto& load : plan_->first_load) holders.push_back(load.holds);
  print_ = std::make_shared<const Print>(derived);
  lies_.clear();
  starting_ = true;
  set(State::running);
  session_.aside(
      [self = QPointer<RunController>(this), derived, seed = ++runs_, holders] {
        auto job = std::make_shared<Job>(compile(derived->plan, derived->project.machine));
        job->printed = laid_by_chance(derived->project, derived->layout, derived->plan, seed);
        return [self, job, holders] {
          if (!self || !self->starting_) return;  // cancelled meanwhile
          self->starting_ = false;
          for (const auto& sheet : job->printed) self->lies_[sheet.sheet] = sheet.placement;
          if (!self->lies_.empty()) emit self->stateChanged();
          self->link_->start(*job, holders);
        };
      },
      1);
}

void RunController::confirmLoaded(const std::vector<std::string>& holders) {
  if (state_ != State::paused) return;
  problem_.clear();
  link_->confirmLoaded(holders);
  set(State::running);
}

void RunController::hold() {
  if (state_ != State::running || starting_) return;
  link_->hold();
  set(State::held);
}

void RunController::resume() {
  if (state_ != State::held) return;
  link_->resume();
  set(State::running);
}

void RunController::cancel() {
  if (std::exchange(starting_, false)) return set(State::idle);
  if (active()) link_->cancel();
}

void RunController::clear() {
  if (state_ == State::over) set(State::idle);
}

}  // namespace dotlane
