#include "core/job/physics.hpp"

#include <array>
#include <random>

#include "core/plan/plan.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

struct Row {
  FaultKind kind;
  std::string_view word;
};
constexpr std::array kFaults{
    Row{FaultKind::dry, "dry"},     Row{FaultKind::wear, "wear"},       Row{FaultKind::wrong_tool, "wrong-tool"},
    Row{FaultKind::slip, "slip"},   Row{FaultKind::jam, "jam"},         Row{FaultKind::link, "link"},
    Row{FaultKind::power, "power"}, Row{FaultKind::garbage, "garbage"}, Row{FaultKind::full, "full"}};

}  // namespace

std::string_view word(FaultKind kind) {
  for (const auto& row : kFaults) {
    if (row.kind == kind) return row.word;
  }
  return {};
}

std::optional<FaultKind> fault_from(std::string_view word) {
  for (const auto& row : kFaults) {
    if (row.word == word) return row.kind;
  }
  return std::nullopt;
}

std::string fault_words() {
  std::string out;
  for (std::size_t i = 0; i < kFaults.size(); ++i) out += (i == 0 ? "" : ", ") + std::string(kFaults[i].word);
  return out;
}

Result<Fault> read_fault(std::string_view text, double running_s, unsigned seed) {
  const auto bad = [&](Said said) {
    said.figures["text"] = std::string(text);
    return fail(ErrorKind::bad_request, std::move(said));
  };
  const auto at = text.find('@');
  const auto kind = fault_from(text.substr(0, at));
  if (!kind) return bad({"fault-unknown", {{"words", fault_words()}}});
  if (at == std::string_view::npos) {
    std::mt19937 random(seed);
    return Fault{*kind, running_s * static_cast<double>(random()) / static_cast<double>(std::mt19937::max())};
  }
  std::string_view when = text.substr(at + 1);
  const bool share = when.ends_with('%');
  if (share) when.remove_suffix(1);
  const auto number = to_number(when);
  if (!number || *number < 0 || (share && *number > 100)) return bad({"fault-when"});
  return Fault{*kind, share ? running_s * *number / 100 : *number};
}

Physics physics_of(const Project& project, bool landing) {
  Physics out;
  if (landing) out.landing_mm = project.machine.landing_mm;
  out.reached = reached(project.machine);
  for (const auto& tool : project.tools) {
    const ToolLead lead = lead_of(tool, {}, Role::draw);
    ToolBody body{lead.trail_mm, lead.tip, false, tool.kind == ToolKind::blade};
    body.inks = tool.kind == ToolKind::pen || tool.kind == ToolKind::chisel_marker;
    body.width_mm = tool.tip_width_mm, body.lasts_mm = tool.lasts_m * 1000;
    out.tools[tool.id] = body;
  }
  return out;
}

std::vector<LyingStock> lying_stock(const Project& project, const Project& needs) {
  std::vector<LyingStock> out;
  for (const auto& sheet : project.sheets) {
    const Stock* stock = find_stock(needs, sheet.stock);
    if (!stock || !stock->settings.contains(Role::cut)) continue;
    const Setting cut = setting_for(*stock, Role::cut);
    out.push_back({sheet.load, sheet.area, cut.force_gf, cut.depth});
  }
  return out;
}

}  // namespace dotlane
