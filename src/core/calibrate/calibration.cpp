#include "core/calibrate/calibration.hpp"

#include <algorithm>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr std::array<std::string_view, kCalibrations.size()> kWords{
    "tip-contact", "line-width", "fill-swatch", "tip-wear", "force-depth", "scale", "mat-cross", "landing"};

/// The expected range of 20 draws from a normal distribution, in standard deviations: d2 of control charts. ASTM
/// Manual on Presentation of Data and Control Chart Analysis, table of factors, n = 20: 3.735 (from memory; a test
/// integrates it).
constexpr double kRangeOf20 = 3.735;

bool marks_something(const Tool& tool) {
  return std::any_of(tool.serves.begin(), tool.serves.end(), [](Role r) { return marks(r); });
}

double to_hundredth(double mm) { return std::max(0.01, std::round(mm * 100) / 100); }

template <class Change>
void change_tool(Project& project, const std::string& id, Change&& change) {
  for (auto& tool : project.tools) {
    if (tool.id == id) change(tool);
  }
}

}  // namespace

std::string_view word(Calibration kind) { return kWords[static_cast<std::size_t>(kind)]; }

std::optional<Calibration> calibration_from(std::string_view text) {
  for (const Calibration kind : kCalibrations) {
    if (word(kind) == text) return kind;
  }
  return std::nullopt;
}

Said title_of(Calibration kind) { return {std::string("calibrate") + "/" + std::string(word(kind))}; }

Said about(Calibration kind) { return {std::string("calibrate-about") + "/" + std::string(word(kind))}; }

double pair_apart(double tip_width_mm, int n) { return to_hundredth(tip_width_mm * (0.45 + 0.05 * n)); }

double swatch_spacing(double tip_width_mm, int n) { return to_hundredth(tip_width_mm * (0.4 + 0.1 * n)); }

double WearRows::metres(double rows_done) const {
  double mm = 0;
  for (int row = 1; rows_done > 0; ++row, rows_done -= 1) {
    const double length = row_mm + (row % 10 == 0 ? tenth_mm : 0);
    mm += length * std::min(1.0, rows_done);
    // Every tenth row ends farther out, so that the way to the next is longer by as much.
    if (rows_done >= 1) mm += apart_mm + (row % 10 == 0 ? tenth_mm : 0);
  }
  return mm / 1000;
}

WearRows wear_rows(const Machine& machine, const Tool& tool) {
  WearRows out;
  const Box room = machine.usable_area();
  constexpr double kAround = 14;
  out.row_mm = std::min(250.0, std::floor(room.width() - kAround - out.tenth_mm));
  out.apart_mm = std::max(1.0, std::ceil(tool.tip_width_mm * 15) / 10);
  out.rows = std::clamp(static_cast<int>((room.height() - kAround) / out.apart_mm), 2, 240) / 2 * 2;
  return out;
}

TestGrid test_grid(const Machine& machine, const Stock& stock, const Tool& blade) {
  TestGrid out;
  const Setting now = setting_for(stock, Role::cut);
  for (const double share : {0.6, 0.75, 0.9, 1.05, 1.2, 1.4}) {
    const double force = std::round(now.force_gf * share / 5) * 5;
    const bool given = force >= blade.min_force_gf && force <= std::min(blade.max_force_gf, machine.max_force_gf);
    if (given && (out.forces.empty() || out.forces.back() < force)) out.forces.push_back(force);
  }
  if (now.depth <= 0) {
    out.depths = {0};
  } else {
    for (double depth = std::max(1.0, now.depth - 2); depth <= now.depth + 2; depth += 1) out.depths.push_back(depth);
  }
  return out;
}

std::vector<std::string> tools_for(const Project& project, Calibration kind) {
  std::vector<std::string> out;
  const bool blades = kind == Calibration::force_depth;
  for (const auto& tool : project.tools) {
    if (blades ? tool.kind == ToolKind::blade && serves(tool, Role::cut) : marks_something(tool))
      out.push_back(tool.id);
  }
  if (kind == Calibration::tip_contact) {  // what draws rulers comes first: a fine pen
    std::stable_partition(out.begin(), out.end(),
                          [&](const std::string& id) { return find_tool(project, id)->kind == ToolKind::pen; });
  }
  return out;
}

Result<CalibrationOf> settled(const Project& project, CalibrationOf of) {
  const auto bad = [](Said said) { return fail(ErrorKind::bad_request, std::move(said)); };
  const auto suits = tools_for(project, of.kind);
  const auto known = [&](const std::string& id) { return std::find(suits.begin(), suits.end(), id) != suits.end(); };
  if (suits.empty()) return bad({"calibrate-no-tool"});
  if (of.tool.empty()) of.tool = suits.front();
  if (!known(of.tool)) return bad({"calibrate-other-tool", {{"tool", of.tool}}});
  if (of.kind == Calibration::tip_contact) {
    if (of.others.empty()) {  // what draws; other tips where they are named
      std::copy_if(suits.begin(), suits.end(), std::back_inserter(of.others),
                   [&](const std::string& id) { return serves(*find_tool(project, id), Role::draw); });
    }
    for (const auto& id : of.others) {
      if (!known(id)) return bad({"calibrate-other-tool", {{"tool", id}}});
    }
    std::erase(of.others, of.tool);
    if (of.others.empty()) return bad({"calibrate-no-second"});
  } else {
    of.others.clear();
  }
  if (of.stock.empty()) {
    const Tool& tool = *find_tool(project, of.tool);
    const auto takes = [&](const Stock& s) {
      return of.kind == Calibration::force_depth ? !s.never_cut
                                                 : std::any_of(tool.serves.begin(), tool.serves.end(), [&](Role r) {
                                                     return s.settings.contains(r) && (r != Role::draw || s.takes_ink);
                                                   });
    };
    if (!project.sheets.empty()) {
      const Stock* first = find_stock(project, project.sheets.front().stock);
      if (first && takes(*first)) of.stock = first->id;
    }
    for (const auto& stock : project.stocks) {
      if (of.stock.empty() && takes(stock)) of.stock = stock.id;
    }
    if (of.stock.empty()) return bad({"calibrate-no-stock"});
  }
  if (!find_stock(project, of.stock)) return bad({"no-stock", {{"stock", of.stock}}});
  return of;
}

std::vector<ReadingField> reading_fields(const Project& project, const CalibrationOf& of) {
  std::vector<ReadingField> out;
  const auto name = [&](const std::string& id) {
    const Tool* tool = find_tool(project, id);
    return tool ? tool->name : id;
  };
  switch (of.kind) {
    case Calibration::tip_contact:
      for (const auto& id : of.others) {
        out.push_back({id + ".x", {"calibrate-read/tip-right", {{"tool", name(id)}}}, -kRulerReach, kRulerReach});
        out.push_back({id + ".y", {"calibrate-read/tip-down", {{"tool", name(id)}}}, -kRulerReach, kRulerReach});
      }
      break;
    case Calibration::line_width:
      out.push_back({"apart", {"calibrate-read/apart"}, 0.01, 20});
      break;
    case Calibration::fill_swatch:
      out.push_back({"spacing", {"calibrate-read/spacing"}, 0.01, 20});
      break;
    case Calibration::tip_wear:
      out.push_back({"rows", {"calibrate-read/rows"}, 0.1, 1000, false});
      break;
    case Calibration::force_depth:
      out.push_back({"force", {"calibrate-read/force"}, 1, 10000, false});
      out.push_back({"depth", {"calibrate-read/depth"}, 0, 100, false});
      break;
    case Calibration::scale:
      out.push_back({"across", {"calibrate-read/across"}, 190, 210});
      out.push_back({"up", {"calibrate-read/up"}, 190, 210});
      break;
    case Calibration::mat_cross:
      out.push_back({"x", {"calibrate-read/right"}, -20, 20});
      out.push_back({"y", {"calibrate-read/down"}, -20, 20});
      break;
    case Calibration::landing:
      out.push_back({"dot", {"calibrate-read/dot"}, 0.01, 20});
      for (int n = 1; n <= kLandingPoints; ++n) {
        const double number = n;
        out.push_back({"wide" + std::to_string(n), {"calibrate-read/wide", {{"n", number}}}, 0.01, 40});
        out.push_back({"high" + std::to_string(n), {"calibrate-read/high", {{"n", number}}}, 0.01, 40});
      }
      break;
  }
  return out;
}

Result<Project> with_readings(Project project, const CalibrationOf& of, const Readings& readings) {
  const auto fields = reading_fields(project, of);
  for (const auto& [key, value] : readings) {
    const auto field =
        std::find_if(fields.begin(), fields.end(), [&wanted = key](const ReadingField& f) { return f.key == wanted; });
    if (field == fields.end()) return fail(ErrorKind::bad_request, {"calibrate-no-reading", {{"reading", key}}});
    if (!(value >= field->low && value <= field->high))
      return fail(ErrorKind::bad_request,
                  {"calibrate-reading-beyond",
                   {{"reading", key}, {"low", field->low}, {"high", field->high}, {"value", value}}});
  }
  const auto read = [&](const std::string& key) -> const double* {
    const auto at = readings.find(key);
    return at == readings.end() ? nullptr : &at->second;
  };
  const auto tool_change = [&](auto&& change) { change_tool(project, of.tool, change); };
  switch (of.kind) {
    case Calibration::tip_contact:
      for (const auto& id : of.others) {
        const double *x = read(id + ".x"), *y = read(id + ".y");
        change_tool(project, id, [&](Tool& t) {  // as it sits when it is not turned
          t.tip_mm = t.tip_mm + Affine::rotate(t.sits_deg)(Vec{x ? *x : 0, y ? *y : 0});
        });
      }
      break;
    case Calibration::line_width:
      if (const double* apart = read("apart"))  // the pair before still ran together
        tool_change([&](Tool& t) {
          const double step = pair_apart(t.tip_width_mm, 2) - pair_apart(t.tip_width_mm, 1);
          t.tip_width_mm = std::max(0.01, *apart - step / 2);
        });
      break;
    case Calibration::fill_swatch:
      if (const double* spacing = read("spacing")) tool_change([&](Tool& t) { t.covers_mm = *spacing; });
      break;
    case Calibration::tip_wear:
      if (const double* rows = read("rows"))
        tool_change([&](Tool& t) { t.lasts_m = wear_rows(project.machine, t).metres(*rows); });
      break;
    case Calibration::force_depth:
      for (auto& stock : project.stocks) {
        if (stock.id != of.stock) continue;
        Setting& cut = stock.settings.try_emplace(Role::cut, setting_for(stock, Role::cut)).first->second;
        if (const double* force = read("force")) cut.force_gf = *force;
        if (const double* depth = read("depth")) cut.depth = *depth;
      }
      break;
    case Calibration::scale:
      if (const double* across = read("across")) project.machine.scale.x *= *across / kScaleLength;
      if (const double* up = read("up")) project.machine.scale.y *= *up / kScaleLength;
      break;
    case Calibration::mat_cross:
      if (const double* x = read("x")) project.machine.origin_mm.x += *x;
      if (const double* y = read("y")) project.machine.origin_mm.y += *y;
      break;
    case Calibration::landing: {
      const Tool* tool = find_tool(project, of.tool);
      const double dot = read("dot") ? *read("dot") : tool ? tool->tip_width_mm : 0;
      double sum = 0;
      int n = 0;
      for (const auto& [key, value] : readings) {
        if (key != "dot") sum += std::max(0.0, value - dot), ++n;
      }
      if (n > 0) project.machine.landing_mm = sum / n / kRangeOf20;
      break;
    }
  }
  return project;
}

}  // namespace dotlane
