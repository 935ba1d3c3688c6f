#include "core/check/stencil_checks.hpp"

#include <algorithm>

#include "core/latest.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/stencil_strength.hpp"
#include "core/shape/step_handles.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostLookedAt = 8000;  // beyond this a stencil is not looked at: that takes two seconds by then
constexpr std::size_t kMostTongues = 4;      // that get a finding of their own

/// Worked out once: a piece that no edit touched is the very same one.
std::shared_ptr<const StencilStrength> strength(const std::shared_ptr<const DrawnPiece>& piece,
                                                const StencilLimits& limits) {
  static Latest<std::pair<std::shared_ptr<const DrawnPiece>, double>, std::shared_ptr<const StencilStrength>> latest{8};
  const std::pair key{piece, limits.neck};
  if (auto known = latest.find(key)) return *known;
  auto out = std::make_shared<const StencilStrength>(strength_of(openings_of(*piece), limits));
  latest.keep(key, out);
  return out;
}

}  // namespace

std::vector<Finding> check_stencils(const Project& project, const Drawing& drawing) {
  std::vector<Finding> out;
  for (const auto& piece : drawing.pieces) {
    const Piece* raw = find_piece(project, piece->piece->id);
    if (!raw || piece->piece->helper) continue;
    const bool stencil =
        std::any_of(raw->steps.begin(), raw->steps.end(), [](const Step& s) { return s.on && s.kind == "bridge"; });
    if (!stencil) continue;
    const Stock* stock = find_stock(project, raw->stock);
    const StencilLimits limits = stencil_limits(stock ? stock->thickness_mm : 0);
    const std::string& name = raw->name;
    const auto add = [&](const char* code, Severity severity, Figures figures, std::optional<Vec> at) -> Finding& {
      figures["piece"] = name;
      Finding& f = out.emplace_back(Finding{code, severity, std::move(figures), {{raw->id, ""}}});
      f.at = at;
      return f;
    };
    if (piece->flat->segments > kMostLookedAt) {
      add("stencil-large", Severity::info,
          {{"segments", static_cast<double>(piece->flat->segments)}, {"most", static_cast<double>(kMostLookedAt)}}, {});
      continue;
    }
    const auto found = strength(piece, limits);
    if (found->neck) {
      Finding& f =
          add("stencil-neck", Severity::warning,
              {{"necks", static_cast<double>(found->necks)}, {"width", found->neck->width_mm}, {"limit", limits.neck}},
              found->neck->at);
      Fix fix{Fix::Kind::add_step, {"fix-openings-narrower"}, "", 0, {}, {}};
      const double by = std::ceil((limits.neck - found->neck->width_mm + 0.02) * 20) / 20;
      fix.label.figures["by"] = by;
      fix.step.kind = "thicken";
      fix.step.values["by"] = -by;
      f.fixes.push_back(std::move(fix));
    }
    for (std::size_t i = 0; i < std::min(kMostTongues, found->tongues.size()); ++i) {
      const auto& tongue = found->tongues[i];
      Finding& f = add("stencil-tongue", Severity::warning, {{"length", tongue.length_mm}, {"width", tongue.width_mm}},
                       tongue.tip);
      if (!has_bridges(project, raw->id)) continue;
      // One more bridge at its tip.
      const Project held = pick_bridge(project, drawing, raw->id, tongue.tip, 0);
      const Piece* next = find_piece(held, raw->id);
      for (std::size_t k = 0; k < raw->steps.size(); ++k) {
        if (next->steps[k] == raw->steps[k]) continue;
        Fix fix{Fix::Kind::change_step, {"fix-bridge-more"}, "", 0, {}, {}};
        fix.step.id = raw->steps[k].id;
        fix.step.values["set"] = next->steps[k].values.at("set");
        f.fixes.push_back(std::move(fix));
      }
    }
    if (found->open > limits.most_open) {
      add("stencil-open", Severity::info, {{"open", 100 * found->open}, {"limit", 100 * limits.most_open}},
          std::nullopt);
    }
  }
  return out;
}

}  // namespace dotlane
