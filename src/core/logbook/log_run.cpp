#include "core/logbook/log_run.hpp"

#include <algorithm>
#include <map>

namespace dotlane {
namespace {

/// Planned seconds of each instruction; of pauses and of what takes no time 0.
std::vector<double> planned_seconds(const Job& job) {
  std::vector<double> out(job.instructions.size(), 0);
  std::map<std::pair<std::size_t, std::size_t>, std::size_t> runs;  // of a stroke of a pass: one, or more between tabs
  const auto nth = [&](const Instruction& i) {
    return static_cast<std::size_t>(i.round) * job.plan.passes[i.pass].strokes.size() + i.stroke;
  };
  const auto counts = [&](const Instruction& i) {
    return i.pass < job.plan.passes.size() && i.stroke != npos && std::holds_alternative<RunHead>(i.what) &&
           nth(i) < job.plan.passes[i.pass].stroke_end_s.size();
  };
  for (const auto& i : job.instructions) {
    if (counts(i)) ++runs[{i.pass, nth(i)}];
  }
  for (std::size_t k = 0; k < out.size(); ++k) {
    const Instruction& i = job.instructions[k];
    if (!counts(i)) continue;
    const Pass& pass = job.plan.passes[i.pass];
    const std::size_t n = nth(i);
    const double from = n > 0 ? pass.stroke_end_s[n - 1] : 0;
    out[k] = (pass.stroke_end_s[n] - from) / static_cast<double>(runs[{i.pass, n}]);
  }
  return out;
}

/// On the cutter's clock, by pass.
std::vector<double> real_seconds(const Job& job, const JournalState& journal) {
  std::vector<double> out(job.plan.passes.size(), 0);
  const auto planned = planned_seconds(job);
  JobPlace at;
  double clock = 0;
  for (const auto& line : journal.lines) {
    if (line.kind == JournalLine::Kind::part) at = line.place;
    if (line.kind != JournalLine::Kind::done) continue;
    const double more = line.seconds - clock;
    clock = line.seconds;
    // What was done meanwhile shares the time as it was planned to.
    const std::size_t first = std::min(at.instruction, planned.size());
    const std::size_t end = std::min(line.place.instruction + (line.place.run_mm > 0 ? 1 : 0), planned.size());
    double whole = 0;
    for (std::size_t i = first; i < end; ++i) whole += planned[i];
    for (std::size_t i = first; more > 0 && whole > 0 && i < end; ++i) {
      if (job.instructions[i].pass < out.size()) out[job.instructions[i].pass] += more * planned[i] / whole;
    }
    at = line.place;
  }
  return out;
}

}  // namespace

LoggedRun logged(const Project& project, const Job& job, const JournalState& journal, const RunRecord* record,
                 const OutcomeReport* found) {
  LoggedRun out;
  out.job = journal.head.job, out.begun = journal.head.begun;
  out.project = journal.head.project, out.file = journal.head.file;
  out.machine = project.machine.name;
  out.rehearsed = journal.head.rehearsed, out.test_cut = journal.head.test_cut;
  out.outcome = journal.outcome == word(Outcome::done)        ? Outcome::done
                : journal.outcome == word(Outcome::cancelled) ? Outcome::cancelled
                                                              : Outcome::failed;
  out.parts = std::max(1, static_cast<int>(journal.parts.size()));
  out.planned_s = job.plan.running_seconds();
  out.real_s = journal.seconds;
  const auto real = real_seconds(job, journal);
  for (std::size_t i = 0; i < job.plan.passes.size(); ++i) {
    const Pass& pass = job.plan.passes[i];
    LoggedPass p;
    p.index = pass.index, p.role = pass.role;
    p.tool = pass.tool;
    if (const Tool* tool = find_tool(project, pass.tool)) p.tool_name = tool->name, p.tool_kind = word(tool->kind);
    const Sheet* sheet = find_sheet(project, pass.sheet);
    if (const Stock* stock = sheet ? find_stock(project, sheet->stock) : nullptr) {
      p.stock = stock->id, p.stock_name = stock->name;
      p.thickness_mm = stock->thickness_mm, p.grammage_gsm = stock->grammage_gsm;
    }
    p.holder = pass.holder;
    p.force_gf = pass.force_gf, p.speed_mm_s = pass.speed_mm_s, p.depth = pass.depth, p.repeats = pass.repeats;
    p.planned_s = pass.seconds, p.real_s = real[i], p.pace = pass.pace.factor;
    p.lifts = pass.lifts;
    // As far as it came.
    const double share = out.outcome == Outcome::done ? 1
                         : pass.seconds > 0           ? std::min(1.0, real[i] / pass.seconds)
                                                      : 0;
    p.metres = pass.length_mm / 1000 * share;
    out.passes.push_back(std::move(p));
  }
  for (std::size_t n = 0; n < job.plan.pauses.size(); ++n)
    out.pauses.push_back({static_cast<int>(n) + 1, job.plan.pauses[n].seconds, 0});
  int open = 0;
  double since_ms = 0;
  for (const auto& line : journal.lines) {
    if (line.kind == JournalLine::Kind::pause) open = line.number, since_ms = line.ms;
    if (line.kind != JournalLine::Kind::loaded || open < 1) continue;
    const auto at = static_cast<std::size_t>(open - 1);
    if (at < out.pauses.size() && line.ms > since_ms && since_ms > 0)
      out.pauses[at].real_s += (line.ms - since_ms) / 1000;
    open = 0;
  }
  for (const auto& sheet : project.sheets) {
    const bool used =
        std::any_of(job.plan.passes.begin(), job.plan.passes.end(), [&](const Pass& p) { return p.sheet == sheet.id; });
    if (used)
      out.sheets.push_back(
          {sheet.id, sheet.stock, sheet.area.width(), sheet.area.height(), sheet.shelf, !sheet.outline.empty()});
  }
  if (found) {
    out.strokes = static_cast<int>(found->made + found->twice + found->missing);
    out.missing = static_cast<int>(found->missing);
    out.farthest_mm = found->most_mm;
  }
  if (record && record->seconds > 0) out.real_s = record->seconds;
  return out;
}

}  // namespace dotlane
