#include "core/plan/plan.hpp"

#include <algorithm>
#include <map>
#include <set>
#include <tuple>

#include "core/plan/loads.hpp"
#include "core/plan/order.hpp"
#include "core/plan/run_cost.hpp"

namespace dotlane {
namespace {

/// What makes lines run in the same pass, in the order passes have before anything else is known.
struct Group {
  int load_rank;  // 0 where mat loads do not come one after the other
  int role_rank;
  double ink;  // light inks first: minus the luminance
  std::string tool;
  int load, sheet, repeats;
  bool stroke_by_stroke;
  auto rank() const { return std::tie(load_rank, role_rank, ink); }
  friend bool operator<(const Group& a, const Group& b) {
    return std::tie(a.load_rank, a.role_rank, a.ink, a.tool, a.load, a.sheet, a.repeats, a.stroke_by_stroke) <
           std::tie(b.load_rank, b.role_rank, b.ink, b.tool, b.load, b.sheet, b.repeats, b.stroke_by_stroke);
  }
};

struct Batch {
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
  int rank = 0;
};

std::vector<Batch> collect(const Project& project, const Layout& layout) {
  std::map<Group, Batch> batches;
  const auto& roles = project.plan.role_order;
  const auto& left_out = project.plan.not_now;
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
        const Group group{project.plan.by_tool ? 0 : placed.sheet.load,
                          role_rank,
                          line.role == Role::draw ? -luminance(tool->ink) : 0.0,
                          tool->id,
                          placed.sheet.load,
                          placed.sheet.id,
                          repeats,
                          line.stroke_by_stroke && repeats > 1};
        const std::vector<std::size_t>& copy_of = laid[i];
        const auto now = [&](std::size_t c) {
          return !piece->piece->not_now && (copy_of[c] == npos || !layout.laid[copy_of[c]].not_now);
        };
        Batch& batch = batches[group];
        if (batch.first.empty() && batch.second.empty()) {
          batch.group = group;
          Pass& p = batch.pass;
          p.load = placed.sheet.load, p.sheet = placed.sheet.id, p.role = line.role, p.tool = tool->id;
          p.repeats = repeats;
          p.stroke_by_stroke = group.stroke_by_stroke;
          p.force_gf =
              std::clamp(setting.force_gf, tool->min_force_gf, std::max(tool->min_force_gf, tool->max_force_gf));
          p.force_gf = std::min(p.force_gf, project.machine.max_force_gf);
          p.speed_mm_s = setting.speed_mm_s;
          p.depth = setting.depth;
          p.key = std::to_string(p.load) + "/" + std::to_string(p.sheet) + "/" + std::string(word(p.role)) + "/" +
                  p.tool + "/" + std::to_string(repeats) + (p.stroke_by_stroke ? "/strokes" : "");
        }
        if (std::find(left_out.begin(), left_out.end(), batch.pass.key) != left_out.end()) continue;
        const Affine onto_mat = (project.plan.mirrored ? Affine{-1, 0, 0, 1, flip, 0} : Affine{}) * piece->map_of(i);
        for (std::size_t c = 0; c < polylines->size(); ++c) {
          if (!now(c)) continue;
          Batch::Coat& coat = line.coat == 2 ? batch.second : batch.first;
          coat.courses.push_back({std::shared_ptr<const Polyline>(polylines, &(*polylines)[c]), onto_mat});
          coat.origin.push_back({piece->piece->id, i, laid[i][c]});
        }
      }
    }
  }
  std::vector<Batch> out;
  for (auto& [group, batch] : batches) out.push_back(std::move(batch));
  return out;
}

/// Ranks that rise wherever the order is fixed; a hand-made order fixes it between all the passes it names.
void rank(std::vector<Batch>& batches, const std::vector<std::string>& by_hand) {
  for (std::size_t i = 0; i < batches.size(); ++i) {
    const bool same = i > 0 && batches[i].group.rank() == batches[i - 1].group.rank();
    batches[i].rank = i == 0 ? 0 : batches[i - 1].rank + (same ? 0 : 1);
  }
  if (by_hand.empty()) return;
  auto place = [&](const Batch& b) { return std::find(by_hand.begin(), by_hand.end(), b.pass.key) - by_hand.begin(); };
  // The named passes take, among themselves, the slots they hold together; a pass never leaves its mat load.
  std::vector<std::size_t> slots;
  std::vector<Batch> named;
  for (std::size_t i = 0; i < batches.size(); ++i) {
    if (place(batches[i]) < static_cast<std::ptrdiff_t>(by_hand.size())) {
      slots.push_back(i);
      named.push_back(std::move(batches[i]));
    }
  }
  std::stable_sort(named.begin(), named.end(), [&](const Batch& a, const Batch& b) {
    return std::pair(a.group.load_rank, place(a)) < std::pair(b.group.load_rank, place(b));
  });
  for (std::size_t k = 0; k < slots.size(); ++k) batches[slots[k]] = std::move(named[k]);
  for (std::size_t i = 0; i < batches.size(); ++i) batches[i].rank = static_cast<int>(i);
}

/// Between two changes of tools, mat by mat: the one that is in comes first. Passes of a mat keep their order.
template <class LoadOf>
void by_mats(std::vector<LoadedPass>& sequence, LoadOf load_of, int load) {
  for (auto from = sequence.begin(); from != sequence.end();) {
    const auto to = std::find_if(from + 1, sequence.end(), [](const LoadedPass& p) { return p.pause_before; });
    const bool pause = from->pause_before;
    from->pause_before = false;
    std::stable_sort(from, to, [&](const LoadedPass& a, const LoadedPass& b) {
      return std::pair(load_of(a) != load, load_of(a)) < std::pair(load_of(b) != load, load_of(b));
    });
    from->pause_before = pause;
    load = load_of(*(to - 1));
    from = to;
  }
}

std::vector<HolderLoad> changes(const std::vector<std::string>& before, const std::vector<std::string>& after) {
  std::vector<HolderLoad> out;
  for (std::size_t h = 0; h < after.size(); ++h) {
    HolderLoad load{static_cast<int>(h) + 1, "", "", after[h]};
    if (before[h] != after[h]) load.take_out = before[h], load.put_in = after[h];
    out.push_back(std::move(load));
  }
  return out;
}

/// How long strokes are and take: what is moved and no more is worked out once.
class Timing {
 public:
  explicit Timing(const MotionLimits& limits) : limits_(limits) {}
  std::pair<double, double> of(const Stroke& stroke) {
    const Affine& m = stroke.course.map;
    const auto [known, fresh] =
        known_.try_emplace({stroke.course.polyline.get(), m.a, m.b, m.c, m.d, stroke.reversed, stroke.first_point});
    if (fresh) {
      const Motion motion(stroke.points(), limits_);
      known->second = {motion.length(), motion.seconds()};
    }
    return known->second;
  }

 private:
  MotionLimits limits_;
  std::map<std::tuple<const Polyline*, double, double, double, double, bool, std::size_t>, std::pair<double, double>>
      known_;
};

void run_through(Pass& pass, const Batch& batch, const Machine& machine, Vec& head) {
  const auto limits = pass_limits(machine, pass.speed_mm_s);
  const auto travel = travel_limits(machine);
  Vec at = head;
  for (const Batch::Coat* coat : {&batch.first, &batch.second}) {
    for (const auto& [course, reversed, first_point] : order_strokes(coat->courses, at, pass.role == Role::cut)) {
      const auto& [piece, line, laid] = coat->origin[course];
      pass.strokes.push_back(
          {coat->courses[course], reversed, first_point, pass.stroke_by_stroke ? pass.repeats : 1, piece, line, laid});
      at = pass.strokes.back().end();
    }
  }
  pass.contours = static_cast<int>(pass.strokes.size());
  double length = 0;
  std::vector<double> down_s;
  Timing timing(limits);
  for (const auto& stroke : pass.strokes) {
    const auto [mm, seconds] = timing.of(stroke);
    length += mm;
    down_s.push_back(machine.lower_s + seconds + machine.lift_s);
  }
  pass.length_mm = length * pass.rounds();
  pass.lifts = pass.contours * pass.rounds();
  for (int r = 0; r < pass.rounds(); ++r) {
    for (std::size_t i = 0; i < pass.strokes.size(); ++i) {
      const Vec start = pass.strokes[i].start();
      pass.travel_mm += distance(head, start);
      pass.seconds += motion_seconds({head, start}, travel) + down_s[i];
      pass.stroke_end_s.push_back(pass.seconds);
      head = pass.strokes[i].end();
    }
  }
}

}  // namespace

std::vector<Vec> Stroke::points() const {
  auto once = points_of(course, {0, reversed, first_point});
  return times > 1 ? retraced(std::move(once), closed(), times) : once;
}

Vec Stroke::start() const {
  const auto& points = course.polyline->points;
  return course.map(reversed ? points.back() : points[first_point]);
}

Vec Stroke::end() const {
  const auto& points = course.polyline->points;
  if (closed()) return start();
  const bool back = times % 2 == 0;
  return course.map(reversed == back ? points.back() : points.front());
}

double Plan::running_seconds() const {
  double total = 0;
  for (const auto& pass : passes) total += pass.seconds;
  return total;
}

Handwork handwork_of(const Plan& plan) {
  Handwork out;
  const auto put_in = [](const std::vector<HolderLoad>& loads) {
    return static_cast<int>(
        std::count_if(loads.begin(), loads.end(), [](const HolderLoad& l) { return !l.put_in.empty(); }));
  };
  out.pauses = static_cast<int>(plan.pauses.size());
  out.tools = put_in(plan.first_load);
  std::set<int> seen;
  if (!plan.passes.empty()) ++out.mats, seen.insert(plan.passes.front().load);
  for (const auto& pause : plan.pauses) {
    out.tools += put_in(pause.holders);
    if (!pause.change_mat) continue;
    ++out.mats;
    out.returns += !seen.insert(pause.load).second;
  }
  return out;
}

Vec home_of(const Machine& machine) { return {0, machine.mat.height_mm}; }

Moment moment_at(const Plan& plan, const Machine& machine, double seconds) {
  Moment now;
  now.head = home_of(machine);
  for (; now.pass < plan.passes.size(); ++now.pass) {
    const Pass& pass = plan.passes[now.pass];
    if (seconds < pass.start_s) {
      now.hands = true;
      return now;
    }
    const std::size_t n = pass.strokes.size();
    if (n == 0) continue;
    if (seconds >= pass.start_s + pass.seconds) {
      now.head = pass.strokes.back().end();
      continue;
    }
    const double t = seconds - pass.start_s;
    const auto& ends = pass.stroke_end_s;
    const auto at = static_cast<std::size_t>(std::upper_bound(ends.begin(), ends.end(), t) - ends.begin());
    now.repeat = static_cast<int>(at / n);
    now.stroke = at % n;
    if (at > 0) now.head = pass.strokes[(at - 1) % n].end();
    const double into = t - (at > 0 ? ends[at - 1] : 0);
    const std::vector<Vec> points = pass.strokes[now.stroke].points();
    const Motion way({now.head, points.front()}, travel_limits(machine));
    if (into < way.seconds()) {
      now.head = way.position_at(into);
      return now;
    }
    const Motion mark(points, pass_limits(machine, pass.speed_mm_s));
    const double down_t = std::clamp(into - way.seconds() - machine.lower_s, 0.0, mark.seconds());
    now.head = mark.position_at(down_t);
    now.down = true;
    const std::size_t move = mark.points().size() > 1 ? std::min(mark.move_at(down_t), mark.points().size() - 2) : 0;
    now.under_way.assign(mark.points().begin(), mark.points().begin() + static_cast<std::ptrdiff_t>(move) + 1);
    now.under_way.push_back(now.head);
    return now;
  }
  return now;
}

MotionLimits travel_limits(const Machine& m) { return {m.travel_mm_s, m.accel_mm_s2, m.junction_deviation_mm}; }

MotionLimits pass_limits(const Machine& m, double speed_mm_s) {
  return {std::min(speed_mm_s, m.travel_mm_s), m.accel_mm_s2, m.junction_deviation_mm};
}

Plan make_plan(const Project& project, const Layout& layout) {
  Plan plan;
  plan.mirrored = project.plan.mirrored;
  std::vector<Batch> batches;
  for (auto& batch : collect(project, layout)) {
    if (batch.first.empty() && batch.second.empty()) {
      plan.not_now.push_back(std::move(batch.pass));
    } else {
      batches.push_back(std::move(batch));
    }
  }
  rank(batches, project.plan.pass_order);

  Vec head = home_of(project.machine);
  std::vector<std::string> loaded(static_cast<std::size_t>(project.machine.holders));
  double clock = 0;
  int load = 0;  // on the mat now
  for (std::size_t from = 0; from < batches.size();) {
    std::size_t to = from;
    std::vector<LoadItem> items;
    for (; to < batches.size() && batches[to].group.load_rank == batches[from].group.load_rank; ++to) {
      items.push_back({batches[to].pass.tool, batches[to].rank});
    }
    // Holders change step by step, so the loads of each pause are read off as the passes are laid down.
    std::vector<std::string> now = loaded;
    auto sequence = load_holders(items, project.machine.holders, loaded);
    const auto load_of = [&](const LoadedPass& p) { return batches[from + p.item].pass.load; };
    by_mats(sequence, load_of, load);
    for (std::size_t k = 0; k < sequence.size(); ++k) {
      const bool new_mat = load != 0 && load_of(sequence[k]) != load;
      load = load_of(sequence[k]);
      const bool change = k == 0 || sequence[k].pause_before;
      if (change || new_mat) {
        const auto before = now;
        for (std::size_t j = k; change && j < sequence.size() && (j == k || !sequence[j].pause_before); ++j) {
          now[static_cast<std::size_t>(sequence[j].holder) - 1] = items[sequence[j].item].tool;
        }
        const auto loads = changes(before, now);
        if (plan.passes.empty()) {
          plan.first_load = loads;
        } else {
          const auto swaps =
              std::count_if(loads.begin(), loads.end(), [](const HolderLoad& l) { return !l.put_in.empty(); });
          Pause pause{plan.passes.size(), new_mat, load, loads, clock, 0};
          pause.seconds = project.machine.swap_s * static_cast<double>(swaps + (new_mat ? 1 : 0));
          clock += pause.seconds;
          plan.pauses.push_back(std::move(pause));
        }
      }
      Batch& batch = batches[from + sequence[k].item];
      Pass pass = batch.pass;
      pass.index = static_cast<int>(plan.passes.size()) + 1;
      pass.holder = sequence[k].holder;
      pass.pause_before = sequence[k].pause_before || new_mat;
      run_through(pass, batch, project.machine, head);
      pass.start_s = clock;
      clock += pass.seconds;
      plan.passes.push_back(std::move(pass));
    }
    from = to;
  }
  plan.seconds = clock;
  return plan;
}

}  // namespace dotlane
