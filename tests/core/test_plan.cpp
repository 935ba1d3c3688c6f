#include <map>
#include <numeric>
#include <random>
#include <set>

#include "chance.hpp"
#include "core/format/project_json.hpp"
#include "core/plan/by_hand.hpp"
#include "core/plan/order.hpp"
#include "core/plan/selection.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Polyline square(double x, double y, double side) {
  return {{{x, y}, {x + side, y}, {x + side, y + side}, {x, y + side}, {x, y}}, true};
}

double travel_of(const std::vector<Polyline>& polylines, const std::vector<OrderedStroke>& order) {
  Vec at{0, 0};
  double sum = 0;
  for (const auto& s : order) {
    const auto points = points_of(courses_of(polylines)[s.course], s);
    sum += distance(at, points.front());
    at = points.back();
  }
  return sum;
}

}  // namespace

TEST_CASE("four inks and a cut in two holders: five passes, two pauses, cut last, light inks first") {
  const Derived d = derived(four_inks());
  const auto& passes = d.plan.passes;
  REQUIRE(passes.size() == 5);
  CHECK(d.plan.pauses.size() == 2);  // five tools, two at a time
  CHECK(passes.back().role == Role::cut);
  CHECK(passes[0].tool == "pen-e8d21c");
  CHECK(passes[3].tool == "pen-101010");
  CHECK(passes[2].pause_before);
  CHECK(passes[4].pause_before);
  CHECK(passes[0].holder != passes[1].holder);
  CHECK(passes[0].length_mm == Approx(40));
  CHECK(passes[4].length_mm == Approx(340));
}

TEST_CASE("one holder pauses for every further tool") {
  Project p = four_inks();
  p.machine.holders = 1;
  CHECK(derived(p).plan.pauses.size() == 4);
}

TEST_CASE("four tools in two holders need one pause") {
  // Common practice, no published source: the first two load together, every load of two more costs one pause.
  Project p = four_inks();
  p.plan.not_now = {derived(p).plan.passes.back().key};  // not the cut
  const Plan plan = derived(p).plan;
  CHECK(plan.passes.size() == 4);
  CHECK(plan.pauses.size() == 1);
  CHECK(plan.least_pauses == 1);
  CHECK(plan.optimal);
}

TEST_CASE("inner contours run before the ones around them, each once") {
  std::mt19937 random(5);
  std::uniform_real_distribution<double> at(0, 250), size(1, 60);
  std::vector<Polyline> polylines;
  for (int i = 0; i < 120; ++i) polylines.push_back(square(at(random), at(random), size(random)));
  const auto parent = containers_of(courses_of(polylines));
  OrderRules rules;
  rules.inner_first = true;
  const auto order = order_strokes(courses_of(polylines), {0, 0}, rules);
  REQUIRE(order.size() == polylines.size());
  std::vector<std::size_t> place(polylines.size());
  for (std::size_t i = 0; i < order.size(); ++i) place[order[i].course] = i;
  int nested = 0;
  for (std::size_t i = 0; i < polylines.size(); ++i) {
    if (parent[i] < 0) continue;
    ++nested;
    CHECK(place[i] < place[static_cast<std::size_t>(parent[i])]);
    CHECK(encloses(polylines[static_cast<std::size_t>(parent[i])], polylines[i].points.front()));
  }
  CHECK(nested > 5);
}

TEST_CASE("travel gets short, and open strokes are turned around where that helps") {
  std::vector<Polyline> lines;
  for (int i = 0; i < 40; ++i) {
    const double y = (i * 17) % 40;
    lines.push_back({{{0, y}, {100, y}}, false});
  }
  const auto order = order_strokes(courses_of(lines), {0, 0}, {});
  std::vector<OrderedStroke> as_drawn;
  for (std::size_t i = 0; i < lines.size(); ++i) as_drawn.push_back({i, false, 0, 0});
  CHECK(travel_of(lines, order) == Approx(39));  // there and back, one millimetre down each time
  CHECK(travel_of(lines, as_drawn) > 3000);
}

TEST_CASE("strokes run to and fro end where they began, and the order counts on that") {
  // Ten lines to and fro, side by side: from end to end of the near side it is 9 mm.
  std::vector<Polyline> lines;
  for (int i = 0; i < 10; ++i) lines.push_back({{{0.0, 1.0 * i}, {100.0, 1.0 * i}}, false});
  OrderRules rules;
  rules.to_and_fro = true;
  double travel = 0;
  Vec at{0, 0};
  for (const auto& s : order_strokes(courses_of(lines), at, rules)) {
    const Vec end = lines[s.course].points[s.reversed ? 1 : 0];
    travel += distance(at, end);
    at = end;
  }
  CHECK(travel == Approx(9));
}

TEST_CASE("blades begin closed cuts away from their corners, wherever that can be") {
  Chance chance(11);
  for (int round = 0; round < rounds(100); ++round) {
    INFO("round " << round);
    std::vector<Polyline> lines;
    for (int i = chance.whole(1, 20); i > 0; --i) {
      const Vec a{chance.between(0, 200), chance.between(0, 200)};
      lines.push_back(square(a.x, a.y, chance.between(0.5, 60)));
    }
    OrderRules rules;
    rules.off_corners = true;
    for (const auto& s : order_strokes(courses_of(lines), {0, 0}, rules)) {
      const auto& points = lines[s.course].points;
      const auto run = points_of(courses_of(lines)[s.course], s);
      const double side = distance(points[0], points[1]);
      for (const Vec corner : points) CHECK(distance(run.front(), corner) > std::min(1.0, side / 4) - 0.02);
      // It is the same square all the same.
      CHECK(run.front() == run.back());
      CHECK(length_of({run, true}) == Approx(4 * side));
    }
  }
}

TEST_CASE("trapezoidal motion agrees with the closed forms") {
  const MotionLimits limits{100, 1000, 0.02};
  // Long: v/a to speed up, v/a to brake, the rest at v: t = L/v + v/a.
  CHECK(Motion({{0, 0}, {200, 0}}, limits).seconds() == Approx(200 / 100.0 + 100 / 1000.0));
  // Short: never reaches v: t = 2 sqrt(L/a).
  CHECK(Motion({{0, 0}, {4, 0}}, limits).seconds() == Approx(2 * std::sqrt(4 / 1000.0)));
  CHECK(motion_seconds({{0, 0}, {200, 0}}, limits) == Approx(Motion({{0, 0}, {200, 0}}, limits).seconds()));
  // Points on a straight line cost nothing.
  CHECK(Motion({{0, 0}, {50, 0}, {120, 0}, {200, 0}}, limits).seconds() == Approx(2.1));
  // Reversing on the spot means a full stop.
  CHECK(Motion({{0, 0}, {100, 0}, {0, 0}}, limits).seconds() ==
        Approx(2 * Motion({{0, 0}, {100, 0}}, limits).seconds()));
  const Motion corner({{0, 0}, {50, 0}, {50, 50}, {0, 50}, {0, 0}}, limits);
  CHECK(corner.seconds() > 2.0);
  CHECK(corner.seconds() < 4 * Motion({{0, 0}, {50, 0}}, limits).seconds());
}

TEST_CASE("with a limit to the jerk a motion is the S-curve of the textbooks") {
  // From rest to rest, long enough to reach speed and acceleration: t = L/v + v/a + a/j (L. Biagiotti, C. Melchiorri,
  // "Trajectory Planning for Automatic Machines and Robots", 2008, section 3.4; from memory).
  const double v = 100, a = 1000, jerk = 20'000;
  const MotionLimits limits{v, a, 0.02, jerk};
  const Motion motion({{0, 0}, {200, 0}}, limits);
  CHECK(motion.seconds() == Approx(200 / v + v / a + a / jerk));
  CHECK(motion_seconds({{0, 0}, {200, 0}}, limits) == Approx(motion.seconds()));
  // Jerk for a/j, constant acceleration until v/a, jerk the other way: where it is then.
  const double tj = a / jerk, ta = v / a;
  CHECK(motion.position_at(tj).x == Approx(jerk * tj * tj * tj / 6));
  CHECK(motion.position_at(tj + ta).x == Approx(v * (ta + tj) / 2));
  CHECK(motion.position_at(motion.seconds()).x == Approx(200));
  CHECK(motion.position_at(motion.seconds() / 2).x == Approx(100));
  // Speed, acceleration and jerk by differences stay within their limits, corners or not; the way never goes back.
  Chance chance(31);
  for (int round = 0; round < rounds(40); ++round) {
    std::vector<Vec> points{{0, 0}};
    for (int k = chance.whole(1, 12); k > 0; --k) points.push_back(points.back() + Vec{chance.between(0.1, 30), 0});
    const Motion way(points, limits);
    const double h = 1e-3;
    std::vector<double> x;
    for (double t = -4 * h; t < way.seconds() + 4 * h; t += h) x.push_back(way.position_at(std::max(0.0, t)).x);
    for (std::size_t i = 3; i < x.size(); ++i) {
      const double speed = (x[i] - x[i - 1]) / h, before = (x[i - 1] - x[i - 2]) / h, first = (x[i - 2] - x[i - 3]) / h;
      CHECK(speed >= -1e-6);
      CHECK(speed <= v + 1e-6);
      CHECK(std::abs(speed - before) / h <= a * 1.001 + 1e-3);
      CHECK(std::abs(speed - 2 * before + first) / (h * h) <= 2 * jerk * 1.001 + 1);  // full speed-up to full braking
    }
    CHECK(x.back() == Approx(points.back().x));
  }
}

TEST_CASE("motion never exceeds its limits and passes every point") {
  std::mt19937 random(9);
  std::uniform_real_distribution<double> step(-6, 6);
  std::vector<Vec> points{{0, 0}};
  for (int i = 0; i < 60; ++i) points.push_back(points.back() + Vec{step(random), step(random)});
  const MotionLimits limits{80, 900, 0.02};
  const Motion motion(points, limits);
  const double dt = motion.seconds() / 20000;
  Vec last = motion.position_at(0);
  double top = 0;
  std::vector<double> nearest(points.size(), 1e9);
  nearest[0] = distance(points[0], last);
  for (double t = dt; t <= motion.seconds(); t += dt) {
    const Vec p = motion.position_at(t);
    top = std::max(top, distance(p, last) / dt);
    for (std::size_t i = 0; i < points.size(); ++i) nearest[i] = std::min(nearest[i], distance(points[i], p));
    last = p;
  }
  CHECK(top <= 80 * 1.001);
  for (std::size_t i = 0; i < points.size(); ++i) {
    INFO("point " << i);
    CHECK(nearest[i] <= 80 * dt);  // between two looks
  }
  CHECK(distance(motion.position_at(motion.seconds()), points.back()) < 1e-9);
}

TEST_CASE("mirroring reflects each sheet once and changes nothing else") {
  Project p = four_inks();
  p.sheets[0].area = Box::of(10, 10, 200, 200);
  const Plan straight = derived(p).plan;
  p.plan.mirrored = true;
  const Plan mirrored = derived(p).plan;
  REQUIRE(straight.passes.size() == mirrored.passes.size());
  Box a, b;
  for (const Vec q : straight.passes.back().strokes[0].points()) a.add(q);
  for (const Vec q : mirrored.passes.back().strokes[0].points()) b.add(q);
  CHECK(b.x0 == Approx(220 - a.x1));
  CHECK(b.x1 == Approx(220 - a.x0));
  CHECK(b.y0 == Approx(a.y0));
  CHECK(mirrored.passes.back().length_mm == Approx(straight.passes.back().length_mm));
  CHECK(finding(derived(p), "mirrored"));
}

TEST_CASE("role order and an order by hand are kept, and cutting early is reported") {
  Project p = four_inks();
  std::swap(p.plan.role_order.front(), p.plan.role_order.back());
  Derived d = derived(p);
  CHECK(d.plan.passes.front().role == Role::cut);
  const Finding* early = finding(d, "cut-before");
  REQUIRE(early);
  p = apply_fix(p, drawn(p), *early, early->fixes.at(0));
  d = derived(p);
  CHECK(d.plan.passes.back().role == Role::cut);
  // By hand: the cut to the front, the light ink to the end.
  p = put_pass(p, d.drawing, d.plan, 5, 1);
  d = derived(p);
  CHECK(d.plan.passes.front().role == Role::cut);
  CHECK(put_by_hand(p, d.drawing, d.plan.passes.front()));
  CHECK(finding(d, "cut-before"));
  p = put_pass(p, d.drawing, d.plan, 2, 0);
  d = derived(p);
  CHECK(d.plan.passes.front().role == Role::cut);
  CHECK(d.plan.passes.back().tool == "pen-e8d21c");
  // Its tip would take up what the darker ones left; in their order it does not.
  const Finding* tainted = finding(d, "light-after-dark");
  REQUIRE(tainted);
  CHECK_FALSE(finding(derived(apply_fix(p, d.drawing, *tainted, tainted->fixes.at(0))), "light-after-dark"));
  const auto why = std::count_if(d.plan.reasons.begin(), d.plan.reasons.end(),
                                 [](const Reason& r) { return r.why == Why::by_hand; });
  CHECK(why == 7);  // the cut before four, the light ink after three
  // It holds whatever tool the lines get, and however often they are run, saved and read.
  const auto cut = d.plan.passes.front();
  p = set_repeats(p, lines_of_piece(d.drawing, cut.strokes.front().piece), 3);
  p = project_from_json(to_json(p), "by hand").value();
  d = derived(p);
  CHECK(d.plan.passes.front().role == Role::cut);
  CHECK(d.plan.passes.front().repeats == 3);
  p = let_pass_go(p, d.drawing, d.plan, 1);
  CHECK(derived(p).plan.passes.back().role == Role::cut);
}

TEST_CASE("an order by hand of older files, by keys, is kept") {
  Project p = four_inks();
  const Plan plan = derived(p).plan;
  std::string keys;
  for (auto it = plan.passes.rbegin(); it != plan.passes.rend(); ++it)
    keys += (keys.empty() ? "\"" : ", \"") + it->key + "\"";
  std::string json = to_json(p);
  const auto at = json.find("\"role_order\"");
  REQUIRE(at != std::string::npos);
  json.insert(at, "\"pass_order\": [" + keys + "], ");
  const Project read = project_from_json(json, "older").value();
  CHECK(read.plan.by_hand.size() == 4);
  const Plan reversed = derived(read).plan;
  REQUIRE(reversed.passes.size() == plan.passes.size());
  for (std::size_t i = 0; i < plan.passes.size(); ++i)
    CHECK(reversed.passes[i].tool == plan.passes[plan.passes.size() - 1 - i].tool);
}

TEST_CASE("a blade at two marks: hands set it anew, unless there are two of them or the machine does it") {
  Project p = project_of(R"(<rect id="thin" x="20" y="20" width="40" height="30"/>)");
  p = duplicate_piece(std::move(p), 1);
  p = set_stock(std::move(p), 1, "vinyl");
  for (auto& sheet : p.sheets) sheet.load = 1;
  p.sheets[1].area = Box::of(150, 20, 100, 100);
  for (auto& stock : p.stocks) {
    if (stock.id == p.pieces[0]->stock) stock.settings[Role::cut].depth = 5;
    if (stock.id == p.pieces[1]->stock) stock.settings[Role::cut].depth = 4;
  }
  REQUIRE(p.pieces[0]->stock != p.pieces[1]->stock);
  const Plan once = derived(p).plan;
  REQUIRE(once.passes.size() == 2);
  REQUIRE(once.pauses.size() == 1);
  const HolderLoad& holder = once.pauses[0].holders[static_cast<std::size_t>(once.passes[1].holder) - 1];
  CHECK(holder.put_in.empty());
  CHECK(holder.depth == once.passes[1].depth);
  CHECK(once.pauses[0].seconds == Approx(p.machine.set_s));
  CHECK(handwork_of(once).swaps == 1);
  Project two = p;
  for (auto& tool : two.tools) tool.count = 2;
  const Plan both = derived(two).plan;
  CHECK(both.pauses.empty());
  CHECK(both.first_load[0].depth + both.first_load[1].depth == 9);
  p.machine.sets_depth = true;
  CHECK(derived(p).plan.pauses.empty());
}

TEST_CASE("repeats count in length, lifts and time") {
  Project p = project_of(R"(<rect id="tag" x="20" y="20" width="50" height="20"/>)");
  const double once = derived(p).plan.passes[0].length_mm;
  p = set_repeats(p, lines_of_piece(drawn(p), 1), 4);
  const Pass pass = derived(p).plan.passes[0];
  CHECK(pass.length_mm == Approx(4 * once));
  CHECK(pass.lifts == 4);
  CHECK(pass.stroke_end_s.size() == 4);
  CHECK(pass.stroke_end_s.back() == Approx(pass.seconds));
}

TEST_CASE("two mat loads come one after the other with a pause between") {
  Project p = four_inks();
  p = set_stock(duplicate_piece(p, 1), 1, "vinyl");
  const Plan plan = derived(p).plan;
  int last = 0;
  for (const auto& pass : plan.passes) {
    CHECK(pass.load >= last);
    last = pass.load;
  }
  CHECK(last == 2);
  CHECK(std::count_if(plan.pauses.begin(), plan.pauses.end(), [](const Pause& x) { return x.change_mat; }) == 1);
}

TEST_CASE("a moment of the plan agrees with its passes") {
  const Project p = four_inks();
  const Plan plan = derived(p).plan;
  for (const auto& pass : plan.passes) {
    const Moment end = moment_at(plan, p.machine, pass.start_s + pass.seconds - 1e-6);
    CHECK(end.pass + 1 == static_cast<std::size_t>(pass.index));
    CHECK(distance(end.head, pass.strokes.back().end()) < 0.01);
  }
  CHECK(moment_at(plan, p.machine, plan.pauses[0].start_s + 1).hands);
  CHECK(moment_at(plan, p.machine, plan.seconds + 1).pass == plan.passes.size());
}

TEST_CASE("selecting one pass keeps what must be loaded for it") {
  const Plan plan = derived(four_inks()).plan;
  const Plan cut = select(plan, {0, 5});
  REQUIRE(cut.passes.size() == 1);
  CHECK(cut.pauses.empty());
  CHECK(std::any_of(cut.first_load.begin(), cut.first_load.end(), [&](const HolderLoad& l) {
    return l.holds == cut.passes[0].tool && l.holder == cut.passes[0].holder;
  }));
}

TEST_CASE("a machine's pace makes its passes as much longer, everything else stays, and tells how sure it is") {
  const Project plain = four_inks();
  Project slow = plain;
  slow.machine.pace[Role::draw] = {1.25, 0.1};
  DrawingCache cache;
  const Plan before = derive(plain, cache).plan, after = derive(slow, cache).plan;
  REQUIRE(after.passes.size() == before.passes.size());
  CHECK(before.spread_seconds() == 0);
  double later = 0, spread = 0;
  for (std::size_t i = 0; i < after.passes.size(); ++i) {
    const Pass &was = before.passes[i], &is = after.passes[i];
    const double factor = is.role == Role::draw ? 1.25 : 1;
    CAPTURE(i);
    CHECK(is.seconds == Approx(factor * was.seconds));
    CHECK(is.stroke_end_s.back() == Approx(is.seconds));
    CHECK(is.travel_mm == Approx(was.travel_mm));
    CHECK(is.start_s == Approx(was.start_s + later));
    later += is.seconds - was.seconds;
    if (is.role == Role::draw) spread += 0.1 * is.seconds;
    // Half way through, the head is where it is half way through without.
    const Moment there = moment_at(after, slow.machine, is.start_s + is.seconds / 2),
                 was_there = moment_at(before, plain.machine, was.start_s + was.seconds / 2);
    CHECK(distance(there.head, was_there.head) < 1e-6);
    CHECK(there.stroke == was_there.stroke);
  }
  CHECK(later > 1);
  CHECK(after.seconds == Approx(before.seconds + later));
  CHECK(after.spread_seconds() == Approx(spread));
}

TEST_CASE("parts are cut round last where that is wished: all that they hold comes before any of them is loose") {
  std::string body;
  for (int i = 0; i < 12; ++i) {
    const std::string x = std::to_string(20 + i % 4 * 50), y = std::to_string(20 + i / 4 * 50), k = std::to_string(i);
    body += "<rect id=\"o" + k + "\" x=\"" + x + "\" y=\"" + y + "\" width=\"40\" height=\"40\"/>";
    body += "<circle id=\"h" + k + "\" cx=\"" + std::to_string(40 + i % 4 * 50) + "\" cy=\"" +
            std::to_string(40 + i / 4 * 50) + "\" r=\"9\"/>";
    body += "<path id=\"s" + k + "\" d=\"M" + std::to_string(25 + i % 4 * 50) + " " + std::to_string(26 + i / 4 * 50) +
            "h20\"/>";
  }
  Project p = project_of(body);
  std::vector<LineRef> all;
  for (const auto& line : p.pieces[0]->lines) all.push_back({1, line.id});
  p = assign_role(std::move(p), all, Role::cut);
  const auto outlines = [](const Project& q) {
    const Derived d = derived(q);
    REQUIRE(d.plan.passes.size() == 1);
    std::string out;
    for (const auto& stroke : d.plan.passes[0].strokes)
      out += d.drawing.pieces[0]->piece->lines[stroke.line].id.front() == 'o' ? 'o' : '.';
    return out;
  };
  CHECK(outlines(p).size() == 36);
  CHECK(outlines(p).find('o') < 12);  // as they come
  p.plan.outlines_last = true;
  CHECK(outlines(p) == std::string(24, '.') + std::string(12, 'o'));
}
