// What holds for every plan: worked out here a second time, the slow way, from the drawing and the plan's own strokes.
#include <map>

#include "chance.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

double length(const std::vector<Vec>& points, bool closed) {
  double out = 0;
  for (std::size_t i = 1; i < points.size(); ++i) out += distance(points[i - 1], points[i]);
  if (closed && points.size() > 1) out += distance(points.back(), points.front());
  return out;
}

std::vector<Vec> course_of(const Stroke& s) {
  std::vector<Vec> out = s.points();
  if (s.closed() && !out.empty() && !(out.front() == out.back())) out.push_back(out.front());
  return out;
}

/// Cards of two stocks with lines in every role that runs, some of them open, some of them repeated.
Project random_job(Chance& chance) {
  static constexpr Role roles[] = {Role::cut, Role::cut, Role::score, Role::draw, Role::foil, Role::engrave};
  Project p = new_project("job");
  p.machine.holders = chance.whole(1, 4);
  p.plan.mirrored = chance.coin();
  for (int i = chance.whole(1, 4); i > 0; --i) {
    std::string body;
    const int lines = chance.whole(1, 5);
    for (int l = 0; l < lines; ++l) {
      const double x = chance.between(10, 250), y = chance.between(10, 250), w = chance.between(2, 40);
      const std::string at = "M" + std::to_string(x) + " " + std::to_string(y), by = std::to_string(w);
      const std::string id = "<path id='l" + std::to_string(l) + "' d='" + at;
      body += id + (chance.coin() ? " h" + by + " v" + by + " h-" + by + " z'/>"
                                  : " q" + by + " 9 " + by + " " + by + "'/>");
    }
    const int id = add_drawing(p, body);
    for (int l = 0; l < lines; ++l) {
      const LineRef ref{id, "l" + std::to_string(l)};
      p = assign_role(std::move(p), {ref}, roles[chance.whole(0, 5)]);
      if (chance.whole(0, 3) == 0) p = set_repeats(std::move(p), {ref}, chance.whole(1, 3));
    }
    if (chance.coin()) p = set_stock(p, id, p.stocks.back().id);
  }
  return p;
}

/// Every figure of the plan, from its strokes.
void check_figures(const Project& p, const Plan& plan) {
  Vec head = home_of(p.machine);
  double clock = 0;
  std::size_t next_pause = 0;
  int load = plan.passes.empty() ? 1 : plan.passes.front().load;
  for (std::size_t i = 0; i < plan.passes.size(); ++i) {
    const Pass& pass = plan.passes[i];
    INFO("pass " << pass.index);
    CHECK(pass.index == static_cast<int>(i) + 1);
    CHECK(pass.holder >= 1);
    CHECK(pass.holder <= p.machine.holders);
    CHECK(pass.force_gf <= p.machine.max_force_gf);
    CHECK(pass.contours == static_cast<int>(pass.strokes.size()));
    CHECK(pass.load >= load);
    if (pass.load != load) CHECK(pass.pause_before);
    load = pass.load;
    if (pass.pause_before) {
      REQUIRE(next_pause < plan.pauses.size());
      const Pause& pause = plan.pauses[next_pause++];
      CHECK(pause.before_pass == i);
      CHECK(pause.start_s == Approx(clock));
      CHECK(static_cast<int>(pause.holders.size()) == p.machine.holders);
      clock += pause.seconds;
    }
    CHECK(pass.start_s == Approx(clock));
    // Down along every stroke and up to the next, as often as the pass is repeated.
    double down = 0, travel = 0, seconds = 0;
    int lifts = 0;
    std::size_t stroke = 0;
    for (int round = 0; round < pass.rounds(); ++round) {
      for (const auto& s : pass.strokes) {
        const auto course = course_of(s);
        REQUIRE_FALSE(course.empty());
        travel += distance(head, course.front());
        seconds += motion_seconds({head, course.front()}, travel_limits(p.machine)) + p.machine.lower_s +
                   motion_seconds(course, pass_limits(p.machine, pass.speed_mm_s)) + p.machine.lift_s;
        down += length(course, false);
        head = course.back();
        ++lifts;
        REQUIRE(stroke < pass.stroke_end_s.size());
        CHECK(pass.stroke_end_s[stroke++] == Approx(seconds).margin(1e-6));
      }
    }
    CHECK(stroke == pass.stroke_end_s.size());
    CHECK(pass.length_mm == Approx(down).margin(1e-6));
    CHECK(pass.travel_mm == Approx(travel).margin(1e-6));
    CHECK(pass.lifts == lifts);
    CHECK(pass.seconds == Approx(seconds).margin(1e-6));
    clock += seconds;
  }
  CHECK(next_pause == plan.pauses.size());
  CHECK(plan.seconds == Approx(clock));
}

/// The holders say at every moment what a pass needs.
void check_loads(const Plan& plan) {
  std::map<int, std::string> held;
  for (const auto& h : plan.first_load) held[h.holder] = h.holds;
  std::size_t next = 0;
  for (std::size_t i = 0; i < plan.passes.size(); ++i) {
    if (next < plan.pauses.size() && plan.pauses[next].before_pass == i) {
      for (const auto& h : plan.pauses[next].holders) {
        if (!h.put_in.empty()) CHECK(h.put_in == h.holds);
        if (!h.take_out.empty()) CHECK(h.take_out == held[h.holder]);
        if (h.put_in.empty() && h.take_out.empty()) CHECK(h.holds == held[h.holder]);
        held[h.holder] = h.holds;
      }
      ++next;
    }
    CHECK(held[plan.passes[i].holder] == plan.passes[i].tool);
  }
}

/// Every line that runs is planned once for each of its repeats, with its tool and role, and nothing else is.
void check_lines(const Project& p, const Derived& d) {
  std::map<std::pair<int, std::size_t>, double> planned;
  for (const auto& pass : d.plan.passes) {
    for (const auto& s : pass.strokes) {
      const DrawnPiece* drawn = find_drawn(d.drawing, s.piece);
      REQUIRE(drawn);
      const Line& line = drawn->piece->lines.at(s.line);
      CHECK(line.role == pass.role);
      CHECK(line.tool == pass.tool);
      CHECK(first_sheet(p, drawn->piece->stock)->id == pass.sheet);
      planned[{s.piece, s.line}] += length(course_of(s), false) * pass.rounds();
    }
  }
  for (const auto& drawn : d.drawing.pieces) {
    for (std::size_t l = 0; l < drawn->piece->lines.size(); ++l) {
      const Line& line = drawn->piece->lines[l];
      const bool wanted = runs(line.role) && !line.tool.empty() && !drawn->piece->helper;
      double once = 0;
      for (std::size_t c = 0; c < drawn->flat->lines[l].polylines->size(); ++c) once += length_of(drawn->course(l, c));
      if (!wanted || once == 0) {
        CHECK(planned.count({drawn->piece->id, l}) == 0);
        continue;
      }
      const Setting setting = setting_for(*find_stock(p, drawn->piece->stock), line.role);
      const int repeats = line.repeats > 0 ? line.repeats : setting.repeats;
      CHECK(planned[{drawn->piece->id, l}] == Approx(once * repeats).epsilon(1e-6));
    }
  }
}

}  // namespace

TEST_CASE("the figures of every demo's plan are those of its strokes") {
  for (const auto& name : kDemos) {
    INFO(name);
    const Project p = demo(name);
    const Derived d = derived(p);
    REQUIRE_FALSE(d.plan.passes.empty());
    check_figures(p, d.plan);
    check_loads(d.plan);
  }
}

TEST_CASE("300 random jobs: figures, holders and lines are what the strokes and the drawing say") {
  Chance chance(414);
  std::size_t pauses = 0, passes = 0;
  for (int round = 0; round < rounds(300); ++round) {
    INFO("round " << round);
    const Project p = random_job(chance);
    const Derived d = derived(p);
    check_figures(p, d.plan);
    check_loads(d.plan);
    check_lines(p, d);
    // Roles come in their order within a load.
    std::map<int, std::size_t> last;
    for (const auto& pass : d.plan.passes) {
      const auto& order = p.plan.role_order;
      const auto rank = static_cast<std::size_t>(std::find(order.begin(), order.end(), pass.role) - order.begin());
      CHECK(rank >= last[pass.load]);
      last[pass.load] = rank;
    }
    pauses += d.plan.pauses.size(), passes += d.plan.passes.size();
  }
  CHECK(passes > static_cast<std::size_t>(rounds(300)) * 2);
  CHECK(pauses > static_cast<std::size_t>(rounds(300)));
}
