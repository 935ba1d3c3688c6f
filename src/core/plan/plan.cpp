#include "core/plan/plan.hpp"

#include <algorithm>
#include <map>
#include <set>
#include <tuple>

#include "core/plan/order.hpp"
#include "core/plan/overlap.hpp"
#include "core/plan/pass_time.hpp"
#include "core/plan/run_cost.hpp"
#include "core/plan/schedule.hpp"

namespace dotlane {
namespace {

/// What makes lines run in the same pass.
struct Group {
  int load, role_rank;
  double light;  // of the ink that is drawn with
  std::string tool;
  int sheet, repeats;
  bool stroke_by_stroke;
  bool numbers;  // of parts: lightly, and left out by themselves
  friend bool operator<(const Group& a, const Group& b) {
    // Light inks first, as a row to begin with.
    return std::tie(a.load, a.role_rank, b.light, a.tool, a.sheet, a.repeats, a.stroke_by_stroke, a.numbers) <
           std::tie(b.load, b.role_rank, a.light, b.tool, b.sheet, b.repeats, b.stroke_by_stroke, b.numbers);
  }
};

struct Gathering {
  Pass pass;
  /// Courses that may run in any order, and those that wait for them: second passes of fills.
  struct Coat {
    std::vector<Course> courses;
    struct Origin {
      int piece;
      std::size_t line, laid;
    };
    std::vector<Origin> origin;  // of each course
    [[nodiscard]] bool empty() const { return courses.empty(); }
  };
  Coat first, second;
  Group group;
  std::vector<std::size_t> wished;  // ends of the wishes by hand: 2 n is the first of wish n, 2 n + 1 its second
};

std::vector<Gathering> collect(const Project& project, const Layout& layout) {
  std::map<Group, Gathering> gatherings;
  const auto& roles = project.plan.role_order;
  const auto& left_out = project.plan.not_now;
  const auto& pins = project.plan.pins;
  const auto& roles_left_out = project.plan.roles_not_now;
  std::multimap<PassLine, std::size_t> wishes;
  for (std::size_t n = 0; n < project.plan.by_hand.size(); ++n) {
    wishes.emplace(project.plan.by_hand[n].first, 2 * n);
    wishes.emplace(project.plan.by_hand[n].second, 2 * n + 1);
  }
  for (const auto& placed : layout.sheets) {
    const Stock* stock = find_stock(project, placed.sheet.stock);
    if (!stock) continue;
    const double flip = placed.sheet.area.x0 + placed.sheet.area.x1;
    for (const auto& there : placed.pieces) {
      const auto& piece = there.drawn;
      const auto& laid = *there.laid;
      for (std::size_t i = 0; i < piece->piece->lines.size(); ++i) {
        const auto polylines = piece->flat->lines[i].polylines.handle();
        if (polylines->empty()) continue;
        const Line& line = piece->piece->lines[i];
        const Tool* tool = find_tool(project, line.tool);
        if (!runs(line.role) || !tool) continue;
        const Setting setting = setting_for(*stock, line.role);
        const int repeats = line.repeats > 0 ? line.repeats : setting.repeats;
        const auto role_rank = static_cast<int>(std::find(roles.begin(), roles.end(), line.role) - roles.begin());
        const Group group{placed.sheet.load,
                          role_rank,
                          line.role == Role::draw ? luminance(tool->ink) : 0.0,
                          tool->id,
                          placed.sheet.id,
                          repeats,
                          line.stroke_by_stroke && repeats > 1,
                          piece->piece->id == kNumbersPiece};
        const std::vector<std::size_t>& copy_of = laid[i];
        const auto now = [&](std::size_t c) {
          return !piece->piece->not_now && (copy_of[c] == npos || !layout.laid[copy_of[c]].not_now);
        };
        Gathering& gathering = gatherings[group];
        if (gathering.first.empty() && gathering.second.empty()) {
          gathering.group = group;
          Pass& p = gathering.pass;
          p.load = placed.sheet.load, p.sheet = placed.sheet.id, p.role = line.role, p.tool = tool->id;
          p.repeats = repeats;
          p.stroke_by_stroke = group.stroke_by_stroke;
          p.force_gf =
              std::clamp(setting.force_gf, tool->min_force_gf, std::max(tool->min_force_gf, tool->max_force_gf));
          p.numbers = group.numbers;
          if (p.numbers) p.force_gf = tool->min_force_gf;
          p.force_gf = std::min(p.force_gf, project.machine.max_force_gf);
          p.speed_mm_s = setting.speed_mm_s;
          p.lead = lead_of(*tool, setting, line.role);
          p.depth = setting.depth;
          p.pace = pace_of(project.machine, line.role);
          p.key = std::to_string(p.load) + "/" + std::to_string(p.sheet) + "/" + std::string(word(p.role)) + "/" +
                  p.tool + "/" + std::to_string(repeats) + (p.stroke_by_stroke ? "/strokes" : "") +
                  (group.numbers ? "/numbers" : "");
        }
        if (std::find(left_out.begin(), left_out.end(), gathering.pass.key) != left_out.end()) continue;
        if (std::find(roles_left_out.begin(), roles_left_out.end(), line.role) != roles_left_out.end()) continue;
        const PassLine own{piece->piece->id, line.id, placed.sheet.id};
        gathering.pass.pinned = gathering.pass.pinned || std::find(pins.begin(), pins.end(), own) != pins.end();
        if (!wishes.empty()) {
          const auto [from, to] = wishes.equal_range(own);
          for (auto wish = from; wish != to; ++wish) gathering.wished.push_back(wish->second);
        }
        const Affine onto_mat = (project.plan.mirrored ? Affine{-1, 0, 0, 1, flip, 0} : Affine{}) * piece->map_of(i);
        for (std::size_t c = 0; c < polylines->size(); ++c) {
          if (!now(c)) continue;
          Gathering::Coat& coat = line.coat == 2 ? gathering.second : gathering.first;
          coat.courses.push_back({std::shared_ptr<const Polyline>(polylines, &(*polylines)[c]), onto_mat});
          coat.origin.push_back({piece->piece->id, i, laid[i][c]});
        }
      }
    }
  }
  std::vector<Gathering> out;
  for (auto& [group, gathering] : gatherings) out.push_back(std::move(gathering));
  return out;
}

/// What hands do: `before` and `after` are what the holders have.
std::vector<HolderLoad> changes(const std::vector<Holding>& before, const std::vector<Holding>& after) {
  std::vector<HolderLoad> out;
  for (std::size_t h = 0; h < after.size(); ++h) {
    HolderLoad load{static_cast<int>(h) + 1, "", "", after[h].tool, 0};
    if (before[h].tool != after[h].tool) load.take_out = before[h].tool, load.put_in = after[h].tool;
    if (!(before[h] == after[h])) load.depth = after[h].depth;
    out.push_back(std::move(load));
  }
  return out;
}

double seconds_of(const std::vector<HolderLoad>& loads, const Machine& machine) {
  double out = 0;
  for (const auto& load : loads) out += !load.put_in.empty() ? machine.swap_s : load.depth > 0 ? machine.set_s : 0;
  return out;
}

OrderRules rules_of(const Pass& pass, const Project& project) {
  const Tool* tool = find_tool(project, pass.tool);
  OrderRules rules;
  rules.inner_first = pass.role == Role::cut;
  rules.outlines_last = project.plan.outlines_last;
  rules.off_corners = tool && tool->kind == ToolKind::blade;
  rules.to_and_fro = pass.stroke_by_stroke && pass.repeats % 2 == 0;
  rules.travel = travel_limits(project.machine);
  return rules;
}

/// The strokes of a gathering, in order.
std::vector<Stroke> strokes_of(const Gathering& gathering, Vec from, const OrderRules& rules) {
  std::vector<Stroke> out;
  for (const Gathering::Coat* coat : {&gathering.first, &gathering.second}) {
    for (const auto& stroke : order_strokes(coat->courses, from, rules)) {
      const auto& [piece, line, laid] = coat->origin[stroke.course];
      out.push_back({coat->courses[stroke.course], stroke.reversed, stroke.first_point, stroke.along,
                     gathering.pass.stroke_by_stroke ? gathering.pass.repeats : 1, piece, line, laid});
      from = out.back().end();
    }
  }
  return out;
}

/// Where a gathering begins and ends when it is run from home.
std::pair<Vec, Vec> ends_of(const Gathering& gathering, const Project& project) {
  const Vec home = home_of(project.machine);
  const auto strokes = strokes_of(gathering, home, rules_of(gathering.pass, project));
  return strokes.empty() ? std::pair(home, home) : std::pair(strokes.front().start(), strokes.back().end());
}

/// Which of them have to wait for the ink of others: those that run over it.
std::vector<Drying> drying_of(const Project& project, const std::vector<Gathering>& gatherings) {
  std::vector<Drying> out;
  for (std::size_t i = 0; i < gatherings.size(); ++i) {
    const Pass& ink = gatherings[i].pass;
    const Tool* tool = find_tool(project, ink.tool);
    if (!tool || ink.role != Role::draw || tool->dry_s <= 0) continue;
    for (std::size_t k = 0; k < gatherings.size(); ++k) {
      const Pass& over = gatherings[k].pass;
      const Tool* other = find_tool(project, over.tool);
      if (k == i || over.sheet != ink.sheet || over.load != ink.load || !other) continue;
      const double reach = (tool->tip_width_mm + other->tip_width_mm) / 2;
      bool meets = false;
      for (const auto* a : {&gatherings[i].first, &gatherings[i].second}) {
        for (const auto* b : {&gatherings[k].first, &gatherings[k].second})
          meets = meets || run_over(a->courses, b->courses, reach);
      }
      if (meets) out.push_back({i, k, tool->dry_s});
    }
  }
  return out;
}

/// The holders that take a tool, from 1; nothing where all do.
std::vector<int> holders_for(const Machine& machine, const Tool* tool) {
  std::vector<int> out;
  for (int h = 0; h < machine.holders; ++h) {
    const auto at = static_cast<std::size_t>(h);
    const bool all = at >= machine.takes.size() || machine.takes[at].empty() || !tool;
    if (all || std::find(machine.takes[at].begin(), machine.takes[at].end(), tool->kind) != machine.takes[at].end())
      out.push_back(h + 1);
  }
  if (static_cast<int>(out.size()) == machine.holders) out.clear();
  return out;
}

/// What the holders have beforehand; only what is on the rack.
std::vector<Holding> loaded_before(const Project& project) {
  std::vector<Holding> out(static_cast<std::size_t>(project.machine.holders));
  for (std::size_t h = 0; h < out.size() && h < project.plan.loaded.size(); ++h) {
    const Loaded& now = project.plan.loaded[h];
    const bool again = std::any_of(out.begin(), out.begin() + static_cast<std::ptrdiff_t>(h),
                                   [&](const Holding& other) { return other.tool == now.tool; });
    const Tool* tool = find_tool(project, now.tool);
    if (tool && (!again || tool->count > 1)) out[h] = {now.tool, project.machine.sets_depth ? 0 : now.depth};
  }
  return out;
}

void run_through(Pass& pass, const Gathering& gathering, const Project& project, const TourEffort& effort, Vec& head) {
  OrderRules rules = rules_of(pass, project);
  rules.effort = effort;
  pass.strokes = strokes_of(gathering, head, rules);
  pass.contours = static_cast<int>(pass.strokes.size());
  time_pass(pass, project.machine, head);
}

/// Which passes there are, in numbers, and what speaks for their order.
ScheduleProblem problem_of(const Project& project, const std::vector<Gathering>& gatherings,
                           const std::vector<Reason>& reasons, std::vector<Drying> drying) {
  constexpr std::size_t kMostPoints = 20'000, kMostWays = 100;  // beyond, the ways between passes are not weighed
  const Machine& machine = project.machine;
  ScheduleProblem out;
  out.loaded = loaded_before(project);
  out.swap_s = out.mat_s = machine.swap_s, out.set_s = machine.set_s;
  out.by_tool = project.plan.by_tool;
  for (const auto& tool : project.tools) out.owned[tool.id] = tool.count;
  std::size_t points = 0;
  for (const auto& gathering : gatherings) {
    out.tasks.push_back({gathering.pass.tool, machine.sets_depth ? 0 : gathering.pass.depth, gathering.pass.load, 0,
                         holders_for(machine, find_tool(project, gathering.pass.tool))});
    for (const auto* coat : {&gathering.first, &gathering.second}) {
      for (const auto& course : coat->courses) points += course.polyline->points.size();
    }
  }
  for (const auto& reason : reasons) out.before.push_back({reason.first, reason.second});
  if (!drying.empty()) {  // what runs meanwhile counts: how long each takes, about
    for (std::size_t i = 0; i < gatherings.size(); ++i) {
      Pass pass = gatherings[i].pass;
      Vec head = home_of(machine);
      run_through(pass, gatherings[i], project, {}, head);
      out.tasks[i].seconds = pass.seconds;
    }
  }
  out.drying = std::move(drying);
  if (points > kMostPoints || gatherings.size() > kMostWays) return out;
  const auto travel = travel_limits(machine);
  std::vector<std::pair<Vec, Vec>> ends;
  for (const auto& gathering : gatherings) ends.push_back(ends_of(gathering, project));
  for (std::size_t from = 0; from <= gatherings.size(); ++from) {
    out.way.emplace_back();
    for (std::size_t to = 0; to < ends.size(); ++to)
      out.way.back().push_back(
          motion_seconds({from < ends.size() ? ends[from].second : home_of(machine), ends[to].first}, travel) *
          gatherings[to].pass.pace.factor);
  }
  return out;
}

}  // namespace

std::vector<Vec> Stroke::points() const {
  auto once = points_of(course, {0, reversed, first_point, along});
  return times > 1 ? retraced(std::move(once), closed(), times) : once;
}

Vec Stroke::start() const {
  const auto& points = course.polyline->points;
  if (along > 0) return lerp(course.map(points[first_point]), course.map(points[first_point + 1]), along);
  return course.map(reversed ? points.back() : points[first_point]);
}

Vec Stroke::end() const {
  const auto& points = course.polyline->points;
  if (closed()) return start();
  const bool back = times % 2 == 0;
  return course.map(reversed == back ? points.back() : points.front());
}

ToolLead lead_of(const Tool& tool, const Setting& setting, Role role) {
  ToolLead lead;
  const bool blade = tool.kind == ToolKind::blade;
  constexpr double kLeast = 0.02;  // mm: less is none
  if (tool.trail_mm >= kLeast) lead.trail_mm = tool.trail_mm;
  lead.slowed = setting.slowed;
  if (blade && role == Role::cut) {
    lead.overcut_mm = tool.overcut_mm;
    if (setting.tabs > 0 && setting.tab_mm > 0) lead.tabs = setting.tabs, lead.tab_mm = setting.tab_mm;
  }
  const Affine turned = Affine::rotate(-tool.sits_deg);
  if (!lead.trails()) lead.tip = turned(tool.tip_mm);  // what swivels has no side of its own
  return lead;
}

double Plan::spread_seconds() const {
  double total = 0;
  for (const auto& pass : passes) total += pass.seconds * pass.pace.spread;
  return total;
}

double Plan::running_seconds() const {
  double total = 0;
  for (const auto& pass : passes) total += pass.seconds;
  return total;
}

bool Pause::hands() const {
  return change_mat || std::any_of(holders.begin(), holders.end(),
                                   [](const HolderLoad& l) { return !l.put_in.empty() || l.depth > 0; });
}

Handwork handwork_of(const Plan& plan) {
  Handwork out;
  const auto put_in = [](const std::vector<HolderLoad>& loads) {
    return static_cast<int>(
        std::count_if(loads.begin(), loads.end(), [](const HolderLoad& l) { return !l.put_in.empty(); }));
  };
  for (const auto& pause : plan.pauses) ++(pause.hands() ? out.pauses : out.waits);
  out.tools = put_in(plan.first_load);
  std::set<int> seen;
  if (!plan.passes.empty()) ++out.mats, seen.insert(plan.passes.front().load);
  for (const auto& pause : plan.pauses) {
    out.tools += put_in(pause.holders);
    out.swaps += static_cast<int>(std::count_if(pause.holders.begin(), pause.holders.end(),
                                                [](const HolderLoad& l) { return !l.put_in.empty() || l.depth > 0; }));
    if (!pause.change_mat) continue;
    ++out.mats;
    out.returns += !seen.insert(pause.load).second;
  }
  return out;
}

MotionLimits travel_limits(const Machine& m) {
  return {m.travel_mm_s, m.accel_mm_s2, m.junction_deviation_mm, m.jerk_mm_s3};
}

MotionLimits pass_limits(const Machine& m, double speed_mm_s) {
  return {std::min(speed_mm_s, m.travel_mm_s), m.accel_mm_s2, m.junction_deviation_mm, m.jerk_mm_s3};
}

TourEffort thorough(const Plan& plan, std::function<bool()> stop) {
  constexpr std::size_t kAStroke = 50, kMost = 60'000;
  std::size_t strokes = 0;
  for (const auto& pass : plan.passes) strokes += pass.strokes.size();
  return {std::min(kMost, kAStroke * strokes), 1, std::move(stop)};
}

Plan make_plan(const Project& project, const Layout& layout, const TourEffort& effort) {
  Plan plan;
  plan.mirrored = project.plan.mirrored;
  std::vector<Gathering> gatherings;
  for (auto& gathering : collect(project, layout)) {
    if (gathering.first.empty() && gathering.second.empty()) {
      plan.not_now.push_back(std::move(gathering.pass));
    } else {
      gatherings.push_back(std::move(gathering));
    }
  }
  std::vector<PassRank> ranks;
  std::vector<std::pair<std::vector<std::size_t>, std::vector<std::size_t>>> wishes(project.plan.by_hand.size());
  for (std::size_t i = 0; i < gatherings.size(); ++i) {
    const Pass& pass = gatherings[i].pass;
    ranks.push_back(
        {pass.load, pass.sheet, gatherings[i].group.role_rank, pass.role == Role::draw, gatherings[i].group.light});
    for (const auto end : gatherings[i].wished)
      (end % 2 == 0 ? wishes[end / 2].first : wishes[end / 2].second).push_back(i);
  }
  std::vector<std::pair<std::size_t, std::size_t>> by_hand;
  for (const auto& [firsts, seconds] : wishes) {
    for (const auto first : firsts) {
      for (const auto second : seconds) by_hand.emplace_back(first, second);
    }
  }
  const auto reasons = reasons_of(ranks, by_hand);
  const auto drying = drying_of(project, gatherings);
  ScheduleProblem problem = problem_of(project, gatherings, reasons, drying);
  const Schedule schedule = make_schedule(problem);
  plan.least_pauses = schedule.least_pauses, plan.optimal = schedule.optimal;
  const auto loose = [&](const auto& wish) {
    return !gatherings[wish.first].pass.pinned && !gatherings[wish.second].pass.pinned;
  };
  if (std::erase_if(by_hand, loose) > 0) {
    problem.before.clear();
    for (const auto& reason : reasons_of(ranks, by_hand)) problem.before.push_back({reason.first, reason.second});
    const ScheduleCost free = make_schedule(problem).cost;
    plan.hand_mats = schedule.cost.mats - free.mats, plan.hand_pauses = schedule.cost.pauses - free.pauses;
    plan.hand_swaps = schedule.cost.swaps - free.swaps;
  }

  const auto strokes_in = [](const Gathering& gathering) {
    return gathering.first.courses.size() + gathering.second.courses.size();
  };
  std::size_t strokes = 0;
  for (const auto& gathering : gatherings) strokes += strokes_in(gathering);
  Vec head = home_of(project.machine);
  std::set<int> found;  // sheets whose marks were found since the mat went in
  std::vector<Holding> held = loaded_before(project);
  std::vector<std::size_t> place(gatherings.size());
  std::vector<double> dry(gatherings.size(), 0);  // when what each runs over is
  std::map<std::string, Vec> headings;            // where trailing blades point
  int turned_in = 0;
  double clock = 0;
  for (const auto& step : schedule.steps) {
    const auto loads = changes(held, step.holders);
    if (plan.passes.empty()) plan.first_load = loads;
    Pause pause{plan.passes.size(), step.new_mat, gatherings[step.task].pass.load, loads, clock, 0, 0};
    if (step.pause_before) {
      pause.seconds = seconds_of(loads, project.machine) + (step.new_mat ? project.machine.swap_s : 0);
      if (step.new_mat) plan.reasons.push_back({plan.passes.size() - 1, plan.passes.size(), Why::mat});
    }
    pause.dries_s = plan.passes.empty() ? 0 : std::max(0.0, dry[step.task] - clock - pause.seconds);
    pause.seconds += pause.dries_s;
    clock += pause.seconds;
    const bool stops = step.pause_before || pause.dries_s > 0;
    if (stops) plan.pauses.push_back(std::move(pause));
    held = step.holders;
    Pass pass = gatherings[step.task].pass;
    place[step.task] = plan.passes.size();
    pass.index = static_cast<int>(plan.passes.size()) + 1;
    pass.holder = step.holder;
    pass.pause_before = stops;
    if (step.new_mat) found.clear();
    const Sheet* sheet = find_sheet(project, pass.sheet);
    if (sheet && project.machine.reads_marks) pass.marks = marks_of(project, *sheet);
    if (pass.marks && found.insert(pass.sheet).second)
      pass.marks_s = static_cast<double>(pass.marks->dots.size()) * project.machine.mark_s * pass.pace.factor;
    for (const auto& load : loads) {  // a blade that hands have had may point anywhere
      if (!load.put_in.empty() || load.depth > 0) headings.erase(load.holds);
    }
    if (pass.lead.trails()) {
      if (const auto known = headings.find(pass.tool); known != headings.end()) {
        pass.heading = known->second;
      } else {
        pass.turn_in = turn_in_place(project.machine.mat.height_mm, project.machine.border_mm, turned_in++, pass.lead);
      }
    }
    TourEffort share = effort;
    share.kicks = effort.kicks * strokes_in(gatherings[step.task]) / std::max<std::size_t>(1, strokes);
    run_through(pass, gatherings[step.task], project, share, head);
    if (pass.lead.trails()) {
      Vec heading = pass.heading;
      for (const auto& stroke : pass.strokes)
        heading = heading_after(stroke.points(), stroke.closed(), pass.lead, heading);
      headings[pass.tool] = heading;
    }
    pass.start_s = clock;
    clock += pass.seconds;
    for (const auto& d : drying) {
      if (d.ink == step.task) dry[d.over] = std::max(dry[d.over], clock + d.seconds);
    }
    plan.passes.push_back(std::move(pass));
  }
  for (const auto& reason : reasons) plan.reasons.push_back({place[reason.first], place[reason.second], reason.why});
  std::sort(plan.reasons.begin(), plan.reasons.end(), [](const Reason& a, const Reason& b) {
    return std::tuple(a.second, a.first, a.why) < std::tuple(b.second, b.first, b.why);
  });
  plan.seconds = clock;
  return plan;
}

}  // namespace dotlane
