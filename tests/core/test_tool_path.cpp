// From plan to job to marks: what the head is led through, and what a trailing edge or an offset tip makes of it.
#include "core/plan/tool_path.hpp"

#include <filesystem>
#include <random>

#include "core/job/gcode.hpp"
#include "core/job/hpgl.hpp"
#include "core/job/outcome.hpp"
#include "core/text_scan.hpp"
#include "fixtures.hpp"
#include "ran.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

double to_polyline(Vec at, const std::vector<Vec>& points) {
  double best = distance(at, points.front());
  for (std::size_t i = 1; i < points.size(); ++i)
    best = std::min(best, distance(at, nearest_on(points[i - 1], points[i], at)));
  return best;
}

/// The farthest that marks are from what the plan wants, either way, looked for one by one.
double farthest(const Job& job, const RunRecord& record) {
  std::map<std::pair<std::size_t, std::size_t>, std::vector<const Mark*>> by_stroke;
  for (const auto& mark : record.marks) {
    if (mark.instruction == npos) continue;
    const Instruction& i = job.instructions[mark.instruction];
    if (i.round == 0 && i.stroke != npos) by_stroke[{i.pass, i.stroke}].push_back(&mark);
  }
  double out = 0;
  std::size_t strokes = 0;
  for (std::size_t p = 0; p < job.plan.passes.size(); ++p) {
    for (std::size_t s = 0; s < job.plan.passes[p].strokes.size(); ++s) {
      const auto points = job.plan.passes[p].strokes[s].points();
      const auto known = by_stroke.find({p, s});
      if (known == by_stroke.end()) return 1e9;
      ++strokes;
      std::vector<Vec> marked;
      for (const Mark* mark : known->second) marked.insert(marked.end(), mark->points.begin(), mark->points.end());
      for (const Vec at : marked) out = std::max(out, to_polyline(at, points));
      for (const Vec at : points) out = std::max(out, to_polyline(at, marked));
    }
  }
  CHECK(strokes > 0);
  return out;
}

/// A project with one open course, cut with a blade.
Project cut_of(const std::string& d, double trail_mm) {
  Project p = project_of("<path id=\"cut\" d=\"" + d + "\" fill=\"none\" stroke=\"#000\"/>");
  p = assign_role(std::move(p), {{1, "cut"}}, Role::cut, "fine-blade");
  for (auto& tool : p.tools) {
    if (tool.id == "fine-blade") tool.trail_mm = trail_mm;
  }
  return p;
}

std::string corner(double turn_deg, double leg) {
  const double a = turn_deg * std::numbers::pi / 180;
  return "M 100 100 h " + rounded_text(leg, 3) + " l " + rounded_text(leg * std::cos(a), 6) + " " +
         rounded_text(leg * std::sin(a), 6);
}

Physics blade_of(double trail_mm) {
  Physics out;
  out.tools["fine-blade"] = {trail_mm, {}, false, true};
  return out;
}

}  // namespace

TEST_CASE("with physics off HPGL and G-code mark the plan's lines within 0.03 mm, in every demo") {
  int demos = 0;
  for (const auto& entry : std::filesystem::directory_iterator(DOTLANE_DEMO)) {
    if (entry.path().extension() != ".dotlane") continue;
    const auto project = load_project(entry.path().string());
    REQUIRE(project);
    DrawingCache cache;
    const Derived d = derive(*project, cache);
    if (d.plan.passes.empty()) continue;
    ++demos;
    Job job = compile(d.plan, project->machine);
    for (auto& pass : job.plan.passes) pass.marks.reset();
    INFO(entry.path().filename().string());
    // What is printed lies where it was planned here.
    std::erase_if(job.instructions, [](const Instruction& i) { return std::holds_alternative<FindMarks>(i.what); });
    std::size_t strokes = 0;
    for (const auto& pass : d.plan.passes) strokes += pass.strokes.size();
#if defined(DOTLANE_SANITIZED)
    constexpr std::size_t kMost = 60;
#else
    constexpr std::size_t kMost = 3000;
#endif
    if (strokes > kMost) continue;  // looking one by one takes too long
    CHECK(farthest(job, ran(job).record) < 0.03);
    GcodeProfile arcs;
    arcs.arcs = true;
    CHECK(farthest(job, ran_gcode(job, arcs).record) < 0.03);
    GcodeProfile servo;
    servo.servo = true, servo.up = 30, servo.down = 90;
    CHECK(farthest(job, ran_gcode(job, servo).record) < 0.03);
  }
  CHECK(demos >= 8);
}

TEST_CASE("a trailing edge follows the tractrix: closed form against small steps") {
  std::mt19937 random(5);
  const auto chance = [&] { return static_cast<double>(random()) / static_cast<double>(std::mt19937::max()); };
  for (int round = 0; round < 50; ++round) {
    const double d = 0.2 + chance(), a0 = (chance() - 0.5) * 6;
    TipFollower exact(d, {}, {std::cos(a0), std::sin(a0)});
    // The edge moves along its own direction only: what it is drawn by is the way's share in that direction.
    Vec axis{0, 0}, edge{-d * std::cos(a0), -d * std::sin(a0)};
    std::vector<Vec> points;
    const Vec to{3, 0};
    exact.move({0, 0}, to, points);
    constexpr int kSteps = 200'000;
    double nearest = 1e9, deepest = 0;
    for (int i = 1; i <= kSteps; ++i) {
      axis = to * (static_cast<double>(i) / kSteps);
      const Vec pull = axis - edge;
      edge = axis - pull * (d / norm(pull));
      if (i % 20'000 == 0) deepest = std::max(deepest, to_polyline(edge, points));
    }
    nearest = distance(edge, points.back());
    CHECK(nearest < 1e-3);
    CHECK(deepest < 4e-3);
  }
}

TEST_CASE("corners of 30 to 150 degrees with a 0.9 mm blade: within 0.1 mm when it is led") {
  for (int turn = 30; turn <= 150; turn += 10) {
    for (const int side : {1, -1}) {
      const Project p = cut_of(corner(turn * side, 20), 0.9);
      const Derived d = derived(p);
      const Job job = compile(d.plan, p.machine);
      const Ran r = ran(job, physics_of(p, false));
      CAPTURE(turn, side);
      CHECK(farthest(job, r.record) < 0.1);
      const OutcomeReport found = compare(job, r.record);
      CHECK(found.most_mm < 0.1);
      CHECK(found.corners_rounded == 0);
      CHECK(found.made == 1);
      CHECK(r.record.seconds == Approx(d.plan.running_seconds()).epsilon(0.005));
    }
  }
}

TEST_CASE("without leading the blade corners are missed as the tractrix says") {
  for (int turn = 30; turn <= 150; turn += 15) {
    const Project p = cut_of(corner(turn, 20), 0);  // the project knows nothing of its trail
    const Job job = compile(derived(p).plan, p.machine);
    constexpr double kTrail = 0.9;
    const Ran r = ran(job, blade_of(kTrail));
    // Seen from the corner, along the second leg: the axis is at s, the edge at s - d cos a, off it by d sin a, with
    // tan(a/2) = tan(turn/2) exp(-s/d). How near does it come to the corner?
    double predicted = 1e9;
    const double t0 = std::tan(turn * std::numbers::pi / 360);
    for (int i = 0; i <= 20'000; ++i) {
      const double s = i * 1e-3, a = 2 * std::atan(t0 * std::exp(-s / kTrail));
      predicted = std::min(predicted, std::hypot(s - kTrail * std::cos(a), kTrail * std::sin(a)));
    }
    double marked = 1e9;
    for (const auto& mark : r.record.marks) {
      if (mark.instruction == npos || mark.from_mm > 30) continue;
      marked = std::min(marked, to_polyline({120, 100}, mark.points));
    }
    CAPTURE(turn, predicted);
    CHECK(marked == Approx(predicted).margin(0.02));
    const OutcomeReport found = compare(job, r.record);
    CHECK(predicted > 0.12);
    CHECK(found.corners_rounded == (turn > 30 ? 1U : 0U));  // what turns no more is no corner
    CHECK(found.most_mm >= 0.9 * predicted);
  }
}

TEST_CASE("random stars and curves, led: the edge stays on its course all the way round") {
  std::mt19937 random(11);
  const auto chance = [&] { return static_cast<double>(random()) / static_cast<double>(std::mt19937::max()); };
  double worst = 0;
  for (int round = 0; round < 40; ++round) {
    std::string d;
    const int n = 4 + static_cast<int>(chance() * 9);
    const Vec centre{150, 150};
    for (int i = 0; i < n; ++i) {
      const double a = 2 * std::numbers::pi * i / n, r = 8 + 22 * chance();
      const Vec at = centre + Vec{r * std::cos(a), r * std::sin(a)};
      d += (i == 0 ? "M " : round % 2 == 0 ? "L " : "S ");
      if (i > 0 && round % 2 == 1)
        d += rounded_text(at.x + 5 * chance(), 3) + " " + rounded_text(at.y + 5 * chance(), 3) + " ";
      d += rounded_text(at.x, 3) + " " + rounded_text(at.y, 3) + " ";
    }
    Project p = cut_of(d + "Z", 0.3 + chance());
    for (auto& tool : p.tools) tool.overcut_mm = 1.5;
    const Derived plan = derived(p);
    const Job job = compile(plan.plan, p.machine);
    const Ran r = ran(job, physics_of(p, false));
    CAPTURE(round, d);
    const double off = farthest(job, r.record);
    worst = std::max(worst, off);
    CHECK(off < 0.1);
    const OutcomeReport found = compare(job, r.record);
    CHECK(found.made == 1);
    CHECK(found.missing + found.twice == 0);
    CHECK(r.record.seconds == Approx(plan.plan.running_seconds()).epsilon(0.01));
  }
  WARN("random stars and curves, led: at most " << rounded_text(worst, 4) << " mm off");
}

TEST_CASE("closed contours run on past their start, and no farther") {
  Project p = cut_of("M 50 50 h 30 v 30 h -30 Z", 0);
  for (auto& tool : p.tools) tool.overcut_mm = 2;
  const Job job = compile(derived(p).plan, p.machine);
  const Ran r = ran(job);
  CHECK(r.record.marked_mm.at("fine-blade") == Approx(122).margin(0.1));
  const auto& run = std::get<RunHead>(job.instructions[2].what);
  // It starts a millimetre off a corner: one to there, one beyond it.
  CHECK(distance(run.head.front(), run.head.back()) == Approx(std::sqrt(2)).margin(1e-6));
}

TEST_CASE("hold-down tabs: as many as asked, as wide as asked, on straight stretches") {
  // A slot: two straight sides of 40 mm, two half rounds.
  Project p = cut_of("M 50 50 H 90 A 10 10 0 0 1 90 70 H 50 A 10 10 0 0 1 50 50 Z", 0);
  for (auto& stock : p.stocks) stock.settings[Role::cut].tabs = 4, stock.settings[Role::cut].tab_mm = 0.8;
  const Derived d = derived(p);
  REQUIRE(d.plan.passes.size() == 1);
  const double round = 80 + 2 * std::numbers::pi * 10;
  CHECK(d.plan.passes[0].length_mm == Approx(round - 4 * 0.8).margin(0.1));
  CHECK(d.plan.passes[0].lifts >= 4);
  const Job job = compile(d.plan, p.machine);
  const Ran r = ran(job);
  CHECK(r.record.marked_mm.at("fine-blade") == Approx(round - 4 * 0.8).margin(0.1));
  CHECK(r.record.seconds == Approx(d.plan.running_seconds()).epsilon(0.01));
  // What is left standing lies on y = 50 or y = 70, between the half rounds.
  const auto points = d.plan.passes[0].strokes[0].points();
  int standing = 0;
  for (std::size_t i = 1; i < points.size(); ++i) {
    for (int k = 0; k < 20; ++k) {
      const Vec at = lerp(points[i - 1], points[i], k / 20.0);
      double off = 1e9;
      for (const auto& mark : r.record.marks) off = std::min(off, to_polyline(at, mark.points));
      if (off < 0.05) continue;
      ++standing;
      CHECK((std::abs(at.y - 50) < 0.01 || std::abs(at.y - 70) < 0.01));
      CHECK((at.x > 50 && at.x < 90));
    }
  }
  CHECK(standing > 0);
}

TEST_CASE("a tip beside the middle of its holder is led beside its course, however it sits") {
  for (const double sits : {0.0, 30.0, 90.0, -135.0}) {
    Project p = cut_of("M 60 60 h 40 l -20 30 Z", 0);
    p = assign_role(std::move(p), {{1, "cut"}}, Role::draw, "pen-black");
    for (auto& tool : p.tools) {
      if (tool.id == "pen-black") tool.tip_mm = {0.9, -0.4}, tool.sits_deg = sits;
    }
    const Job job = compile(derived(p).plan, p.machine);
    CHECK(farthest(job, ran(job, physics_of(p, false)).record) < 0.03);
    // Led as if it touched in the middle, it is off by just that much.
    Project unaware = p;
    for (auto& tool : unaware.tools) tool.tip_mm = {};
    const Job plain = compile(derived(unaware).plan, p.machine);
    const Ran r = ran(plain, physics_of(p, false));
    CHECK(compare(plain, r.record).most_mm <= std::hypot(0.9, 0.4) + 0.03);
    CHECK(compare(plain, r.record).most_mm > 0.5);
  }
}

TEST_CASE("a job begun at any place marks the rest: two halves are the whole") {
  std::mt19937 random(29);
  for (const double trail : {0.0, 0.7}) {
    Project p = four_inks();
    for (auto& tool : p.tools) {
      if (tool.kind == ToolKind::blade) tool.trail_mm = trail, tool.overcut_mm = trail;
    }
    const Job job = compile(derived(p).plan, p.machine);
    const Ran whole = ran(job, physics_of(p, false));
    const OutcomeReport all = compare(job, whole.record);
    REQUIRE(all.missing + all.twice == 0);
    for (int round = 0; round < 60; ++round) {
      const double at = whole.record.seconds * (round + 0.5) / 60;
      Ran first = ran(job, physics_of(p, false), at);
      const JobPlace place = first.place;
      const JobRest rest = job_from(job, place);
      CAPTURE(trail, round, place.instruction, place.run_mm);
      const Ran second = ran_rest(job, rest, physics_of(p, false));
      CHECK(second.record.outcome == Outcome::done);
      RunRecord both = first.record;
      both.marks.insert(both.marks.end(), second.record.marks.begin(), second.record.marks.end());
      const OutcomeReport found = compare(job, both);
      CHECK(found.missing == 0);
      CHECK(found.twice == 0);
      CHECK(found.made == all.made);
      CHECK(found.most_mm < 0.1);
    }
  }
}

TEST_CASE("what goes wrong on the cutter shows in the outcome") {
  const Project p = four_inks();
  const Job job = compile(derived(p).plan, p.machine);
  const double seconds = ran(job).record.seconds;
  const auto with = [&](FaultKind kind, double share) {
    Physics physics = physics_of(p, false);
    physics.faults = {{kind, seconds * share}};
    return ran(job, physics);
  };
  CHECK(compare(job, ran(job, physics_of(p, false)).record).most_mm < 0.03);
  const auto slipped = compare(job, with(FaultKind::slip, 0.5).record);
  CHECK(slipped.most_mm > 1);
  CHECK(slipped.most_mm < 2.1);
  CHECK(slipped.missing == 0);
  const auto dry = compare(job, with(FaultKind::dry, 0.1).record);
  CHECK(dry.missing > 0);
  CHECK(dry.gaps_mm > 1);
  const Ran worn = with(FaultKind::wear, 0);
  CHECK(std::any_of(worn.record.marks.begin(), worn.record.marks.end(), [](const Mark& m) { return m.strength < 1; }));
  CHECK(with(FaultKind::wrong_tool, 0).record.marked_mm != ran(job).record.marked_mm);
  const Ran jammed = with(FaultKind::jam, 0.5);
  CHECK(jammed.record.outcome == Outcome::failed);
  CHECK(sentence(jammed.record.problem).find("blocked") != std::string::npos);
  CHECK(jammed.record.seconds == Approx(seconds / 2).margin(1e-6));
  Physics scatter = physics_of(p, true);
  scatter.landing_mm = 0.2;
  const auto strewn = compare(job, ran(job, scatter).record);
  CHECK(strewn.most_mm > 0.1);
  CHECK(strewn.missing == 0);
}

TEST_CASE("faults are read by name and moment") {
  CHECK(read_fault("slip@12.5", 100, 1)->at_s == Approx(12.5));
  CHECK(read_fault("power@40%", 200, 1)->at_s == Approx(80));
  const auto by_chance = read_fault("jam", 100, 3);
  CHECK((by_chance->at_s >= 0 && by_chance->at_s <= 100));
  CHECK(read_fault("jam", 100, 3)->at_s == by_chance->at_s);
  for (const char* bad : {"flood@3", "slip@", "slip@-1", "slip@120%", "slip@x"}) CHECK_FALSE(read_fault(bad, 100, 1));
  CHECK(sentence(read_fault("flood@3", 100, 1).error().said).find("wrong-tool") != std::string::npos);
}
