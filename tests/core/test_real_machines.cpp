// Machines as they really are: how far they go of what they are sent, how fast in curves, how deep they cut, how long
// a pen lasts, where a mat lies that was out.
#include <random>

#include "core/job/gcode.hpp"
#include "core/job/hpgl.hpp"
#include "core/job/outcome.hpp"
#include "fixtures.hpp"
#include "ran.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Project a_circle(double radius) {
  return project_of("<circle id=\"disc\" cx=\"100\" cy=\"100\" r=\"" + std::to_string(radius) + "\"/>");
}

void slow_in_curves(Project& p, double radius, double speed) {
  for (auto& stock : p.stocks) {
    Setting& cut = stock.settings[Role::cut];
    cut.slowed = {radius, speed};
  }
}

Job job_of(const Project& p) { return compile(derived(p).plan, p.machine); }

}  // namespace

TEST_CASE("moves in curves tighter than the radius have a ceiling, corners of long sides have none") {
  std::vector<Vec> round, square{{0, 0}, {20, 0}, {20, 20}, {0, 20}, {0, 0}};
  for (int k = 0; k <= 90; ++k)
    round.push_back({5 * std::cos(k * std::numbers::pi / 45), 5 * std::sin(k * std::numbers::pi / 45)});
  const auto of = [](const std::vector<Vec>& points, double radius) { return ceilings_of(points, {radius, 12}); };
  CHECK(of(round, 4.9).empty());
  const auto slow = of(round, 5.2);
  REQUIRE(slow.size() == round.size() - 1);
  CHECK(std::all_of(slow.begin(), slow.end(), [](double v) { return v == 12; }));
  CHECK(of(square, 5).empty());
  CHECK(of(square, 0).empty());
  CHECK(of({{0, 0}, {1, 1}}, 5).empty());
  // A long straight move into a curve keeps its speed.
  std::vector<Vec> into{{-60, 5}};
  for (int k = 0; k <= 30; ++k)
    into.push_back({5 * std::sin(k * std::numbers::pi / 45), 5 * std::cos(k * std::numbers::pi / 45)});
  const auto mixed = of(into, 6);
  REQUIRE(mixed.size() == into.size() - 1);
  CHECK(mixed.front() > 1000);
  CHECK(mixed.back() == 12);
}

TEST_CASE("a small circle takes as long as its ceiling says, in the plan and on the cutter, by both languages") {
  Project p = a_circle(4);
  const double fast = derived(p).plan.running_seconds();
  slow_in_curves(p, 5, 6);
  const Plan plan = derived(p).plan;
  const double round = 2 * std::numbers::pi * 4;
  CHECK(plan.running_seconds() > fast + 3);
  CHECK(plan.running_seconds() == Approx(fast + round / 6 - round / 60).epsilon(0.12));
  const Job job = compile(plan, p.machine);
  CHECK_THAT(hpgl_of(job).text, Catch::Contains("PD;VS0.6;PD"));
  CHECK_THAT(gcode_of(job).text, Catch::Contains(" F360"));
  CHECK(ran(job).record.seconds == Approx(plan.running_seconds()).epsilon(0.005));
  CHECK(ran_gcode(job, {}).record.seconds == Approx(plan.running_seconds()).epsilon(0.005));
  // One stroke still: nothing is lifted where the speed changes.
  const Ran done = ran(job);
  const OutcomeReport found = compare(job, done.record);
  CHECK(found.made == 1);
  CHECK(found.most_mm < 0.03);
  CHECK(found.gaps_mm < 0.1);
  // A larger one goes as before.
  Project large = a_circle(30);
  const double before = derived(large).plan.running_seconds();
  slow_in_curves(large, 5, 6);
  CHECK(derived(large).plan.running_seconds() == Approx(before));
  // Going on in the middle of it is as slow.
  const JobRest rest = job_from(job, {job.instructions.size() - 2, round / 2});
  CHECK_THAT(hpgl_of(rest.job).text, Catch::Contains("VS0.6"));
}

TEST_CASE("a machine that goes too far is sent less: what it marks is in its place, also when a run goes on") {
  Project p = project_of(R"(<rect id="tag" x="40" y="40" width="180" height="150"/>)");
  p.machine.scale = {1.006, 0.995};
  p.machine.origin_mm = {0.7, -0.4};
  for (auto& tool : p.tools) {
    if (tool.kind == ToolKind::blade) tool.trail_mm = 0.8;
  }
  const Job job = job_of(p);
  const Physics real = physics_of(p, false);
  CHECK(compare(job, ran(job, real).record).most_mm < 0.06);  // steps of HPGL, and the trail
  // Nobody had known: the error is that of the far corner.
  Project naive = p;
  naive.machine.scale = {1, 1}, naive.machine.origin_mm = {};
  const OutcomeReport off = compare(job_of(naive), ran(job_of(naive), real).record);
  CHECK(off.most_mm == Approx(distance(reached(p.machine)(Vec{220, 40}), Vec{220, 40})).margin(0.35));
  CHECK(off.missing == 0);
  std::mt19937 random(5);
  for (int round = 0; round < 12; ++round) {
    const double total = ran(job, real).record.seconds;
    const Ran broken = ran(job, real, total * (round + 0.5) / 12);
    Ran rest = ran_rest(job, job_from(job, broken.place), real);
    RunRecord all = broken.record;
    all.marks.insert(all.marks.end(), rest.record.marks.begin(), rest.record.marks.end());
    const OutcomeReport found = compare(job, all);
    INFO(round);
    CHECK(found.missing == 0);
    CHECK(found.twice == 0);
    CHECK(found.most_mm < 0.12);
  }
}

TEST_CASE("marks of printed sheets are found by a machine that goes too far, and the cut meets the print") {
  Project p = load_project(std::string(DOTLANE_DEMO) + "/lantern-badges.dotlane").value();
  const bool any = std::any_of(p.sheets.begin(), p.sheets.end(), [](const Sheet& s) { return s.printed; });
  REQUIRE(any);
  const auto off_by = [](const Project& project, const Physics& physics) {
    DrawingCache cache;
    const Derived d = derive(project, cache);
    Job job = compile(d.plan, project.machine);
    job.printed = laid_by_chance(project, d.layout, d.plan, 7);
    const Ran done = ran(job, physics);
    REQUIRE(done.record.outcome == Outcome::done);
    REQUIRE_FALSE(done.record.registrations.empty());
    return compare(job, done.record).most_mm;
  };
  Project scaled = p;
  scaled.machine.scale = {1.004, 0.997};
  scaled.machine.origin_mm = {0.5, 0.3};
  const Physics real = physics_of(scaled, false);
  CHECK(off_by(scaled, real) < 0.12);
  // The marks make up for what nobody knew, too.
  CHECK(off_by(p, real) < 0.12);
}

TEST_CASE("a pen marks as far as it goes and no farther") {
  Project p = project_of(R"(<path id="long" d="M 20 20 H 220 V 60 H 20 V 100 H 220" fill="none" stroke="#000"/>)");
  p = assign_role(std::move(p), {{1, "long"}}, Role::draw, "pen-black");
  Physics physics = physics_of(p, false);
  physics.tools["pen-black"].lasts_mm = 333;
  const Job job = job_of(p);
  const Ran done = ran(job, physics);
  CHECK(done.record.marked_mm.at("pen-black") == Approx(333).margin(1e-6));
  double length = 0;
  for (const auto& mark : done.record.marks) {
    for (std::size_t i = 1; i < mark.points.size(); ++i) length += distance(mark.points[i - 1], mark.points[i]);
  }
  CHECK(length == Approx(333).margin(1e-6));
  const OutcomeReport found = compare(job, done.record);
  CHECK(found.missing == 1);
  CHECK(found.gaps_mm == Approx(680 - 333).margin(0.5));
}

TEST_CASE("a blade goes as deep as force and depth allow, the lesser of them") {
  Project p = project_of(R"(<rect id="tag" x="40" y="40" width="30" height="20"/>)");
  const auto strength = [&](double force, double depth, double needs_force, double needs_depth) {
    Project q = p;
    for (auto& stock : q.stocks) stock.settings[Role::cut].force_gf = force, stock.settings[Role::cut].depth = depth;
    Project needs = q;
    for (auto& stock : needs.stocks)
      stock.settings[Role::cut].force_gf = needs_force, stock.settings[Role::cut].depth = needs_depth;
    Physics physics = physics_of(q, false);
    physics.stock = lying_stock(q, needs);
    const Job job = job_of(q);
    const Ran done = ran(job, physics);
    REQUIRE_FALSE(done.record.marks.empty());
    const OutcomeReport found = compare(job, done.record);
    const double cut = 100;
    CHECK(found.weak_mm == Approx(done.record.marks.front().strength < kThrough ? cut : 0).margin(0.5));
    CHECK(found.deep_mm == Approx(done.record.marks.front().strength > kScars ? cut : 0).margin(0.5));
    return done.record.marks.front().strength;
  };
  CHECK(strength(100, 3, 100, 3) == Approx(1));
  CHECK(strength(50, 3, 100, 3) == Approx(0.5));
  CHECK(strength(200, 1, 100, 4) == Approx(0.25));
  CHECK(strength(140, 8, 70, 4) == Approx(2));
  CHECK(strength(140, 4, 70, 4) == Approx(1));    // it goes no deeper than it stands out
  CHECK(strength(120, 0, 80, 3) == Approx(1.5));  // nobody says how deep it is set
}

TEST_CASE("a mat that was out lies beside its place, by as much as is said, and one that stayed in does not") {
  Project p = load_project(std::string(DOTLANE_DEMO) + "/fair-pennants.dotlane").value();
  p.plan.by_tool = true;
  DrawingCache cache;
  const Derived d = derive(p, cache);
  const int returns = handwork_of(d.plan).returns;
  const Job job = compile(d.plan, p.machine);
  Physics physics;
  physics.reload_mm = 0.6;
  const double off = compare(job, ran(job, physics).record).most_mm;
  if (returns > 0) {
    CHECK(off == Approx(0.6).margin(0.05));
  } else {
    CHECK(off < 0.05);
  }
  p.plan.by_tool = false;
  const Derived stays = derive(p, cache);
  REQUIRE(handwork_of(stays.plan).returns == 0);
  const Job straight = compile(stays.plan, p.machine);
  CHECK(compare(straight, ran(straight, physics).record).most_mm < 0.05);
}
