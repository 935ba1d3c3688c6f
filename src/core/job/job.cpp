#include "core/job/job.hpp"

#include <algorithm>
#include <map>
#include <optional>
#include <set>

#include "core/layout/print_art.hpp"

namespace dotlane {
namespace {

std::vector<std::string> held(const std::vector<HolderLoad>& loads) {
  std::vector<std::string> out;
  for (const auto& load : loads) out.push_back(load.holds);
  return out;
}

/// Where a head is sent instead of where it is wanted, or where it is wanted when sent there.
HeadRun mapped(HeadRun run, const Affine& map) {
  if (map == Affine{}) return run;
  if (run.tip.empty()) run.tip = run.head;
  for (Vec& p : run.head) p = map(p);
  return run;
}

class Compiler {
 public:
  Compiler(const Plan& plan, const Machine& machine)
      : plan_(plan), job_{{}, machine, plan, {}}, sent_(reached(machine).inverse()) {}

  Job compile() {
    if (!plan_.passes.empty()) add(LoadHolders{false, 0, plan_.passes.front().load, held(plan_.first_load)});
    std::size_t pause = 0;
    for (std::size_t i = 0; i < plan_.passes.size(); ++i) {
      if (pause < plan_.pauses.size() && plan_.pauses[pause].before_pass == i) {
        const Pause& now = plan_.pauses[pause];
        ++pause;
        add(LoadHolders{true, static_cast<int>(pause), now.load, held(now.holders)}, i);
        if (now.change_mat) registered_ = 0;
      }
      pass(i);
    }
    add(EndJob{});
    return std::move(job_);
  }

 private:
  template <typename What>
  void add(What what, std::size_t pass = npos, int round = 0, std::size_t stroke = npos) {
    job_.instructions.push_back({std::move(what), pass, round, stroke});
  }

  void pass(std::size_t index) {
    const Pass& pass = plan_.passes[index];
    const int wanted = pass.marks ? pass.sheet : 0;
    if (wanted != registered_) {
      if (pass.marks) {
        FindMarks find{pass.sheet, *pass.marks};
        for (Vec& dot : find.marks.dots) dot = sent_(dot);
        find.marks.second = sent_(find.marks.second);
        add(std::move(find), index);
      } else {
        add(AsLaid{}, index);
      }
      registered_ = wanted;
    }
    add(SelectTool{pass.holder, pass.speed_mm_s, pass.force_gf, pass.depth}, index);
    if (pass.turn_in) add(mapped(turn_in(*pass.turn_in, pass.lead), sent_), index);
    Vec heading = pass.heading;
    for (int round = 0; round < pass.rounds(); ++round) {
      for (std::size_t s = 0; s < pass.strokes.size(); ++s) {
        const Stroke& stroke = pass.strokes[s];
        for (auto& run : head_runs(stroke.points(), stroke.closed(), pass.lead, heading))
          add(mapped(std::move(run), sent_), index, round, s);
      }
    }
  }

  const Plan& plan_;
  Job job_;
  Affine sent_;         // where the head is sent to come to a place
  int registered_ = 0;  // the sheet whose marks say where things go
};

}  // namespace

Job compile(const Plan& plan, const Machine& machine) { return Compiler(plan, machine).compile(); }

std::vector<std::string> holders_at(const Job& job, std::size_t instruction) {
  std::vector<std::string> out;
  for (std::size_t i = 0; i < job.instructions.size() && (i <= instruction || out.empty()); ++i) {
    if (const auto* load = std::get_if<LoadHolders>(&job.instructions[i].what)) out = load->holders;
  }
  return out;
}

JobRest job_from(const Job& job, JobPlace place) {
  if (place.instruction < job.instructions.size() && job.instructions[place.instruction].stroke == npos)
    place.run_mm = 0;  // a blade that is half turned in is turned in anew
  JobRest rest{{{}, job.machine, job.plan, job.printed}, 0, place, 0};
  const Affine comes = reached(job.machine), sent = comes.inverse();
  auto& out = rest.job.instructions;
  std::optional<Instruction> load, marks, select;
  for (std::size_t i = 0; i < place.instruction && i < job.instructions.size(); ++i) {
    const Instruction& instruction = job.instructions[i];
    if (const auto* now = std::get_if<LoadHolders>(&instruction.what)) {
      if (load && std::get<LoadHolders>(load->what).mat != now->mat) marks.reset();
      load = instruction;
      select.reset();
    } else if (std::holds_alternative<FindMarks>(instruction.what)) {
      marks = instruction;
    } else if (std::holds_alternative<AsLaid>(instruction.what)) {
      marks.reset();
    } else if (std::holds_alternative<SelectTool>(instruction.what)) {
      select = instruction;
    }
  }
  auto next =
      job.instructions.begin() + static_cast<std::ptrdiff_t>(std::min(place.instruction, job.instructions.size()));
  const bool pauses_first = next != job.instructions.end() && std::holds_alternative<LoadHolders>(next->what);
  if (load) {
    auto& start = std::get<LoadHolders>(load->what);
    start.pause = false, start.number = 0;
    out.push_back(std::move(*load));
  }
  if (marks && !pauses_first) out.push_back(std::move(*marks));
  if (select && !pauses_first) {
    const Instruction chosen = *select;
    out.push_back(std::move(*select));
    const Pass* pass = chosen.pass < job.plan.passes.size() ? &job.plan.passes[chosen.pass] : nullptr;
    const auto* run = next != job.instructions.end() ? std::get_if<RunHead>(&next->what) : nullptr;
    // A trailing blade may point anywhere now: it is turned in, unless that is what comes next anyway.
    if (pass && pass->lead.trails() && run && next->stroke != npos) {
      const Vec at =
          pass->turn_in.value_or(turn_in_place(job.machine.mat.height_mm, job.machine.border_mm, 0, pass->lead));
      out.push_back({mapped(turn_in(at, pass->lead), sent), chosen.pass, 0, npos});
    }
  }
  rest.before = out.size();
  if (next == job.instructions.end()) return rest;
  out.push_back(*next);
  if (auto* run = std::get_if<RunHead>(&out.back().what)) {
    const Pass* pass = next->pass < job.plan.passes.size() ? &job.plan.passes[next->pass] : nullptr;
    const ToolLead lead = pass ? pass->lead : ToolLead{};
    if (place.run_mm > 0 || (lead.trails() && next->stroke != npos)) {
      // From where the blade lies after it was turned in, round to where it has to point here.
      HeadRun left = rest_of(*run, place.run_mm);
      if (lead.trails() && next->stroke != npos && !left.head.empty()) {
        const Vec ahead = comes(left.head.front()) + lead.tip - left.tip.front();
        const HeadRun round = mapped(swivel(left.tip.front(), kTurnedIn, ahead * (1 / norm(ahead)), lead), sent);
        for (std::size_t i = 1; i < round.head.size(); ++i) rest.ahead_mm += distance(round.head[i - 1], round.head[i]);
        left.head.insert(left.head.begin(), round.head.begin(), round.head.end());
        left.tip.insert(left.tip.begin(), round.tip.begin(), round.tip.end());
        left.ceilings = ceilings_of(left.head, lead.slowed);
      }
      *run = std::move(left);
    }
  }
  out.insert(out.end(), next + 1, job.instructions.end());
  return rest;
}

JobPlace JobRest::whole(JobPlace place) const {
  if (place.instruction < before) return from;
  const std::size_t n = place.instruction - before;
  if (n > 0) return {from.instruction + n, place.run_mm};
  // What turns the blade at the beginning is no part of the way.
  return {from.instruction, place.run_mm > ahead_mm ? from.run_mm + place.run_mm - ahead_mm : from.run_mm};
}

std::size_t Encoded::instruction_after(std::size_t bytes) const {
  return static_cast<std::size_t>(std::upper_bound(ends.begin(), ends.end(), bytes) - ends.begin());
}

std::vector<PrintedSheet> laid_by_chance(const Project& project, const Layout& layout, const Plan& plan, unsigned seed,
                                         const Misplaced& within) {
  std::vector<PrintedSheet> out;
  std::mt19937 random(seed);
  const auto chance = [&](double most) {
    return most * (2 * static_cast<double>(random()) / static_cast<double>(std::mt19937::max()) - 1);
  };
  for (const auto& placed : layout.sheets) {
    const auto pass = std::find_if(plan.passes.begin(), plan.passes.end(),
                                   [&](const Pass& p) { return p.sheet == placed.sheet.id && p.marks; });
    if (pass == plan.passes.end()) continue;
    const Vec centre = placed.sheet.area.centre();
    PrintedSheet sheet{placed.sheet.id, placed.sheet.load, {}, *pass->marks, {}};
    const Vec shift{chance(within.shift_mm), chance(within.shift_mm)};
    const double turn = chance(within.turn_deg), wide = 1 + chance(within.scale), high = 1 + chance(within.scale);
    sheet.placement = Affine::move(centre.x + shift.x, centre.y + shift.y) * Affine::rotate(turn) *
                      Affine::scale(wide, high) * Affine::move(-centre.x, -centre.y);
    // Only what is printed near the marks could be taken for one.
    std::vector<Region> near;
    for (const Vec dot : pass->marks->dots)
      near.push_back(region_of(Box::of(dot.x, dot.y, 0, 0).grown(kMarkSearch + 2 * kMarkDot)));
    const Region windows = unite(near);
    const Affine printed = onto_print(project, placed.sheet);
    std::vector<Region> art;
    for (const auto& shape : print_art(project, layout, placed))
      art.push_back(intersect(transformed(shape.area, printed), windows));
    sheet.art = unite(art);
    out.push_back(std::move(sheet));
  }
  return out;
}

}  // namespace dotlane
