// What runs teach of time and wear: a machine that is slower than its figures is foretold after three runs.
#include "core/logbook/learned.hpp"

#include <random>

#include "core/format/files.hpp"
#include "core/logbook/log_run.hpp"
#include "core/road.hpp"
#include "fixtures.hpp"
#include "ran.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Derived derived_as(const Project& p) {
  DrawingCache cache;
  return derive(p, cache);
}

/// The job run on a cutter that is not as its figures say; what its journal would tell.
LoggedRun run_on(const Project& project, const Machine& really, int n) {
  const Derived d = derived_as(project);
  const Job job = compile(d.plan, project.machine);
  Cutter cutter(really, holders_at(job, 0), job.printed);
  const Encoded stream = hpgl_of(job);
  cutter.feed(stream.text);
  cutter.end();
  JournalState journal;
  journal.head.job = "run-" + std::to_string(n), journal.head.project = project.name;
  journal.parts.push_back({});
  while (cutter.state() == Cutter::State::running || cutter.state() == Cutter::State::paused) {
    if (cutter.state() == Cutter::State::paused) (void)cutter.loaded(cutter.wanted().holders);
    cutter.advance(1);  // it tells once a second
    journal.lines.push_back({.kind = JournalLine::Kind::done,
                             .place = {stream.instruction_after(cutter.done()), cutter.under_way_mm()},
                             .seconds = cutter.seconds()});
  }
  REQUIRE(cutter.state() == Cutter::State::finished);
  journal.seconds = cutter.seconds(), journal.outcome = "done";
  return logged(project, job, journal);
}

}  // namespace

TEST_CASE("the hour's run is foretold within five in a hundred after three runs") {
  const auto demo_of = [](const char* name) {
    return load_project(std::string(DOTLANE_DEMO) + "/" + name + ".dotlane").value();
  };
  // An hour of engraving: the moorings tag with its repeats. Before it, three shorter jobs of the same kind.
  Project hour = demo_of("moorings-tag");
  for (auto& stock : hour.stocks) {
    if (stock.settings.contains(Role::engrave)) stock.settings[Role::engrave].repeats *= 4;
  }
  Machine really = hour.machine;
  really.accel_mm_s2 *= 0.55, really.lower_s *= 1.7, really.lift_s *= 1.4, really.travel_mm_s *= 0.8;
  std::vector<LoggedRun> runs;
  for (int n = 1; n <= 3; ++n) {
    Project shorter = demo_of("moorings-tag");
    for (auto& stock : shorter.stocks) {
      if (stock.settings.contains(Role::engrave))
        stock.settings[Role::engrave].repeats = n, stock.settings[Role::engrave].speed_mm_s *= 1 + 0.1 * (n - 2);
    }
    runs.push_back(run_on(shorter, really, n));
  }
  const double before = derived_as(hour).plan.running_seconds();
  const double took = run_on(hour, really, 4).real_s;
  Project knowing = hour;
  for (const auto& [role, pace] : learned_pace(runs, hour.machine.name, 1)) knowing.machine.pace[role] = pace;
  REQUIRE_FALSE(knowing.machine.pace.empty());
  const Plan plan = derived_as(knowing).plan;
  WARN("an hour's run: planned " << before / 60 << " min, took " << took / 60 << ", foretold "
                                 << plan.running_seconds() / 60 << " +- " << plan.spread_seconds() / 60);
  CHECK(took > before * 1.08);  // there was something to learn
  CHECK(took > 40 * 60);
  CHECK(std::abs(plan.running_seconds() / took - 1) < 0.05);
}

TEST_CASE("pace is a median: outliers, rehearsals, broken runs and other machines do not move it") {
  std::vector<LoggedRun> runs;
  std::mt19937 random(4);
  std::normal_distribution<double> noise(0, 0.02);
  const auto add = [&](double ratio, const std::string& machine, bool rehearsed, Outcome outcome, double pace = 1) {
    LoggedRun run;
    run.machine = machine, run.rehearsed = rehearsed, run.outcome = outcome;
    LoggedPass pass;
    pass.role = Role::cut, pass.planned_s = 100 * pace, pass.real_s = 100 * ratio, pass.pace = pace;
    run.passes.push_back(pass);
    runs.push_back(run);
  };
  for (int n = 0; n < 15; ++n) add(1.2 + noise(random), "m", false, Outcome::done, n % 2 ? 1 : 1.1);
  for (int n = 0; n < 5; ++n) add(9, "m", false, Outcome::done);
  for (int n = 0; n < 20; ++n)
    add(0.4, "m", true, Outcome::done), add(0.4, "other", false, Outcome::done), add(3, "m", false, Outcome::cancelled);
  const auto learned = learned_pace(runs, "m");
  REQUIRE(learned.size() == 1);
  CHECK(learned.at(Role::cut).factor == Approx(1.2).margin(0.03));
  CHECK(learned.at(Role::cut).spread < 0.06);
  CHECK(learned_pace(runs, "nobody's").empty());
  runs.resize(2);
  CHECK(learned_pace(runs, "m").empty());
}

TEST_CASE("a pen that will not last for the plan is named with the pass it ends in") {
  Project p = project_of(
      R"(<path id="a" d="M 20 20 h 200" fill="none" stroke="#000"/><path id="b" d="M 20 60 h 200" fill="none" stroke="#000"/>)");
  p = assign_role(std::move(p), {{1, "a"}, {1, "b"}}, Role::draw, "pen-black");
  const Derived d = derived_as(p);
  const Plan& plan = d.plan;
  CHECK(running_out(p, plan, {}).empty());  // nobody knows how long it lasts
  for (auto& tool : p.tools) {
    if (tool.id == "pen-black") tool.lasts_m = 5;
  }
  CHECK(running_out(p, plan, {{"pen-black", 4.5}}).empty());
  const auto out = running_out(p, plan, {{"pen-black", 4.8}});
  REQUIRE(out.size() == 1);
  CHECK(out[0].tool == "pen-black");
  CHECK(out[0].left_m == Approx(0.2));
  CHECK(out[0].needed_m == Approx(0.4));
  CHECK(running_out(p, plan, {{"pen-black", 6}}).front().left_m == Approx(-1));
  // Second look says so, and shows the lines of that pass.
  const auto worn = worn_findings(p, d.drawing, plan, out);
  REQUIRE(worn.size() == 1);
  CHECK(worn[0].code == "tool-runs-out");
  CHECK(worn[0].lines == std::vector<LineRef>{{1, "a"}, {1, "b"}});
  CHECK(sentence(worn[0], LengthUnit::mm) ==
        "Fine pen 0.4, black will not last: 0.2 m are left of it, 0.4 m are wanted, and it ends in pass 1. Have a new "
        "one at "
        "hand, and say in the rack that it is in.");
  CHECK(sentence(worn_findings(p, d.drawing, plan, running_out(p, plan, {{"pen-black", 6}}))[0], LengthUnit::mm)
            .starts_with("Fine pen 0.4, black has gone as far as it lasts, and 0.4 m more are wanted from pass 1 on."));
}
