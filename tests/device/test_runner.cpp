// Runs over the simulated cutter that are held up, broken off and gone on with, in one program.
#include "device/job_runner.hpp"

#include <sys/resource.h>

#include <QTemporaryDir>
#include <csignal>

#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/job/outcome.hpp"
#include "device/run_again.hpp"
#include "device/sim_cutter_link.hpp"
#include "fixtures.hpp"
#include "waiting.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

struct Runs {
  QTemporaryDir folder;
  QString run = folder.filePath(QStringLiteral("run"));
  Project project = demo("lighthouse-card");
  Derived d = derived(project);
  std::shared_ptr<const Job> job = std::make_shared<const Job>(compile(d.plan, project.machine));
  SimCutterLink* link = nullptr;
  std::unique_ptr<JobRunner> runner;
  int pauses = 0;
  bool confirms = true;

  explicit Runs(double speed = 60) {
    auto owned = std::make_unique<SimCutterLink>();
    link = owned.get();
    runner = std::make_unique<JobRunner>(std::move(owned));
    runner->setTimeScale(speed);
    QObject::connect(runner.get(), &JobRunner::paused, runner.get(), [this](const LoadMarker& wanted) {
      ++pauses;
      if (confirms) runner->confirmLoaded(wanted.holders);
    });
  }
  [[nodiscard]] RunPapers papers() const {
    return papers_of(job, {"a job", project.name, {}, {}, 0, 0, 0, 1}, to_json(project), {});
  }
  void start() { runner->start(papers(), run); }
  void until(double share) {
    const double seconds = d.plan.running_seconds() * share;
    wait_for([&] { return !runner->running() || runner->record().seconds >= seconds; }, 60'000);
  }
  void to_the_end() {
    wait_for([&] { return !runner->running(); }, 60'000);
  }
  void check_once() const {
    CHECK(runner->record().outcome == Outcome::done);
    const OutcomeReport found = compare(*job, runner->record());
    CHECK(found.missing == 0);
    CHECK(found.twice == 0);
    CHECK(found.made > 0);
    CHECK(found.most_mm < 0.03);
  }
};

}  // namespace

TEST_CASE("a journal that cannot be written holds everything up, and nothing is lost once it can") {
  std::signal(SIGXFSZ, SIG_IGN);
  Runs r(8);
  r.start();
  wait_for([&] { return r.runner->record().seconds > 1; });
  rlimit before{};
  REQUIRE(::getrlimit(RLIMIT_FSIZE, &before) == 0);
  rlimit none = before;
  none.rlim_cur = 10;  // as if the disk were full; the cutter has one of its own
  REQUIRE(::setrlimit(RLIMIT_FSIZE, &none) == 0);
  wait_for([&] { return !r.runner->journalProblem().isEmpty(); });
  CHECK(r.runner->journalProblem().contains(QStringLiteral("journal.jsonl")));
  CHECK(r.runner->running());
  REQUIRE(::setrlimit(RLIMIT_FSIZE, &before) == 0);
  wait_for([&] { return r.runner->journalProblem().isEmpty(); });
  r.runner->setTimeScale(0);
  r.to_the_end();
  r.check_once();
  wait_for([&] {
    const auto now = read_journal((r.run + QStringLiteral("/journal.jsonl")).toStdString());
    return now && now->outcome == "done";
  });
}

TEST_CASE("a run that cannot begin its journal is not begun") {
  Runs r;
  QFile in_the_way(r.run);
  REQUIRE(in_the_way.open(QIODevice::WriteOnly));
  r.start();
  r.to_the_end();
  CHECK(r.runner->record().outcome == Outcome::failed);
  CHECK(sentence(r.runner->record().problem).find("journal") != std::string::npos);
  CHECK(r.runner->record().marks.empty());
}

TEST_CASE("the cutter's program dies, and going on finishes the job, every stroke once") {
  Runs r;
  r.start();
  for (const double share : {0.2, 0.5, 0.8}) {
    r.until(share);
    r.link->process().kill();
    r.to_the_end();
    CHECK(r.runner->record().outcome == Outcome::failed);
    r.runner->goOn();
  }
  r.to_the_end();
  r.check_once();
  CHECK(r.runner->part() == 4);
}

TEST_CASE("cancelled by mistake: going on is going on") {
  Runs r;
  r.start();
  r.until(0.4);
  r.runner->cancel();
  r.to_the_end();
  CHECK(r.runner->record().outcome == Outcome::cancelled);
  r.runner->goOn();
  r.to_the_end();
  r.check_once();
}

TEST_CASE("a pass is left out, another one made once more, in register") {
  Runs r;
  r.start();
  r.until(0.1);
  r.runner->hold();
  const auto first_of = [&](std::size_t pass) {
    for (std::size_t i = 0; i < r.job->instructions.size(); ++i) {
      const auto& instruction = r.job->instructions[i];
      if (instruction.pass == pass && !std::holds_alternative<LoadHolders>(instruction.what)) return i;
    }
    return npos;
  };
  const std::size_t last = r.d.plan.passes.size() - 1;
  r.runner->jump({first_of(last), 0});
  r.to_the_end();
  CHECK(r.runner->record().outcome == Outcome::done);
  OutcomeReport found = compare(*r.job, r.runner->record());
  CHECK(found.missing > 0);
  CHECK(found.twice == 0);
  const auto made = found.made;
  // Once more over the last pass.
  r.runner->goOnAt({first_of(last), 0});
  r.to_the_end();
  found = compare(*r.job, r.runner->record());
  CHECK(found.twice == r.d.plan.passes[last].strokes.size());
  CHECK(found.made + found.twice == made);
  CHECK(found.most_mm < 0.03);
}

TEST_CASE("a run of a program that has ended is found in its folder and finished") {
  QTemporaryDir folder;
  const std::string run = folder.filePath(QStringLiteral("run")).toStdString();
  Runs first;
  first.run = QString::fromStdString(run);
  first.start();
  first.until(0.5);
  const OutcomeReport half = compare(*first.job, first.runner->record());
  CHECK(half.missing > 0);
  first.runner.reset();  // as if it had ended
  auto again = run_again(run);
  if (!again) FAIL(line_of(again.error()));
  CHECK(again->state.broken_off());
  CHECK(again->project == first.project);
  Runs second(0);
  again->papers.physics = {};
  const JournalState state = again->state;
  REQUIRE(second.runner->takeUp(std::move(again->papers), QString::fromStdString(run), state));
  CHECK_FALSE(second.runner->running());
  second.runner->goOn();
  second.to_the_end();
  second.check_once();
}

TEST_CASE("a folder whose project makes another job is refused, and says so") {
  Runs r(0);
  r.start();
  r.to_the_end();
  Project other = r.project;
  other.pieces.pop_back();
  REQUIRE(save_project(other, (r.run + QStringLiteral("/project.dotlane")).toStdString()));
  const auto again = run_again(r.run.toStdString());
  REQUIRE_FALSE(again);
  CHECK(line_of(again.error()).find("another one than was begun") != std::string::npos);
}
