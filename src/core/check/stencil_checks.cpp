#include "core/check/stencil_checks.hpp"

#include <algorithm>

#include "core/geometry/clearance.hpp"
#include "core/latest.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/paint_layers.hpp"
#include "core/shape/stencil_strength.hpp"
#include "core/shape/step_handles.hpp"
#include "core/shape/steps.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostLookedAt = 8000;  // beyond this a stencil is not looked at: that takes two seconds by then
constexpr std::size_t kMostRounded = 2000;   // with more, rounder corners are not tried: that takes as long again
constexpr std::size_t kMostTongues = 4;      // that get a finding of their own

struct Looked {
  Region openings;
  StencilStrength strength;
  std::optional<double> rounded;  ///< the radius of rounder corners that do away with every neck, mm
};

/// What rounding the corners of the piece's openings makes of them.
Region rounded_openings(const DrawnPiece& piece, double radius) {
  Step step{0, "round-corners", true, {{"radius", radius}, {"which", std::string("outer")}}, {}, {}};
  DrawnPiece out = piece;
  Piece next = *piece.piece;
  StepOutcome outcome;
  next.lines = apply(step, std::move(next.lines), {}, outcome);
  auto flat = std::make_shared<FlatPiece>(*piece.flat);
  for (std::size_t i = 0; i < next.lines.size(); ++i) {
    std::vector<Polyline> courses;
    for (const auto& c : next.lines[i].path->contours) courses.push_back(flatten(c, kChord));
    flat->lines[i].polylines = std::move(courses);
    flat->lines[i].at = next.lines[i].at;
  }
  out.piece = std::move(next);
  out.flat = std::move(flat);
  return openings_of(out);
}

/// Worked out once: a piece that no edit touched is the very same one.
std::shared_ptr<const Looked> looked_at(const std::shared_ptr<const DrawnPiece>& piece, const StencilLimits& limits) {
  using Key = std::tuple<std::shared_ptr<const DrawnPiece>, double, double>;
  static Latest<Key, std::shared_ptr<const Looked>> latest{8};
  const Key key{piece, limits.neck, limits.brush};
  if (auto known = latest.find(key)) return *known;
  auto out = std::make_shared<Looked>();
  out->openings = openings_of(*piece);
  out->strength = strength_of(out->openings, limits);
  if (out->strength.neck && piece->flat->segments <= kMostRounded) {
    for (const double radius : {limits.neck, 2 * limits.neck}) {
      if (strength_of(rounded_openings(*piece, radius), limits).neck) continue;
      out->rounded = radius;
      break;
    }
  }
  latest.keep(key, out);
  return out;
}

struct Surround {
  Region within;
  bool cut = false;  ///< else it is a sheet's
};

/// What openings are cut into: the smallest cut outline of the stock around them, else the sheet they lie on as drawn;
/// nothing where there is neither.
std::optional<Surround> edge_around(const Project& project, const Drawing& drawing, const DrawnPiece& piece,
                                    const Region& openings) {
  const Box inner = bounds_of(openings);
  std::optional<Surround> edge;
  const auto around = [&](const Box& box) { return box.contains(inner) && !(box == inner); };
  const auto take = [&](Region region, bool cut) {
    if (!edge || area_of(region) < area_of(edge->within)) edge = Surround{std::move(region), cut};
  };
  for (const auto& other : drawing.pieces) {
    const bool same = other->piece->id == piece.piece->id;
    if (other->piece->stock != piece.piece->stock || other->piece->helper || !around(other->bounds)) continue;
    for (std::size_t i = 0; i < other->piece->lines.size(); ++i) {
      const Line& line = other->piece->lines[i];
      if (line.role != Role::cut || (same && line.id != kPlateEdge) || !around(other->line_bounds[i])) continue;
      for (std::size_t c = 0; c < other->flat->lines[i].polylines->size(); ++c) {
        const Polyline course = other->course(i, c);
        if (!course.closed || !around(bounds_of(course.points))) continue;
        take(region_of({Ring(course.points.begin(), course.points.end() - 1)}, FillRule::evenodd), true);
      }
    }
  }
  const Stock* stock = find_stock(project, piece.piece->stock);
  if (!edge && stock && stock->laid_out == LaidOut::as_drawn) {
    for (const auto& sheet : project.sheets) {
      if (sheet.stock == stock->id && around(sheet.seen())) take(region_of(sheet.seen()), false);
    }
  }
  return edge;
}

/// How near openings come to the edge, mm.
double to_edge(const Region& openings, const Region& edge) {
  const Region outside = subtract(region_of(bounds_of(edge).grown(1)), edge);
  return Clearance(outside).distance(Clearance(openings), {});
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
    StencilLimits limits = stencil_limits(stock ? stock->thickness_mm : 0);
    limits.brush = project.checks.brush_mm;
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
    const auto looked = looked_at(piece, limits);
    const StencilStrength* found = &looked->strength;
    if (looked->openings.empty()) continue;
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
      // Of a plate the openings alone: not its edge and its corners.
      const bool plate = paint_of(*piece).has_value();
      if (plate) fix.step.values["of"] = std::string(kPlateOpenings);
      f.fixes.push_back(std::move(fix));
      if (looked->rounded) {
        Fix round{Fix::Kind::add_step, {"fix-round-openings", {{"radius", *looked->rounded}}}, "", 0, {}, {}};
        round.step.kind = "round-corners";
        round.step.values = {{"radius", *looked->rounded}, {"which", std::string("outer")}};
        if (plate) round.step.values["of"] = std::string(kPlateOpenings);
        f.fixes.push_back(std::move(round));
      }
    }
    for (std::size_t i = 0; i < std::min(kMostTongues, found->tongues.size()); ++i) {
      const auto& tongue = found->tongues[i];
      Finding& f = add("stencil-tongue", Severity::warning, {{"length", tongue.length_mm}, {"width", tongue.width_mm}},
                       tongue.tip);
      if (placed_by_last(project, raw->id) != Placed::bridges) continue;
      // One more bridge at its tip.
      const Project held = pick_place(project, drawing, raw->id, tongue.tip, 0);
      const Piece* next = find_piece(held, raw->id);
      for (std::size_t k = 0; k < raw->steps.size(); ++k) {
        if (next->steps[k] == raw->steps[k]) continue;
        Fix fix{Fix::Kind::change_step, {"fix-bridge-more"}, "", 0, {}, {}};
        fix.step.id = raw->steps[k].id;
        fix.step.values["set"] = next->steps[k].values.at("set");
        f.fixes.push_back(std::move(fix));
      }
    }
    const auto edge = edge_around(project, drawing, *piece, looked->openings);
    const double open = edge && edge->cut ? area_of(looked->openings) / area_of(edge->within) : found->open;
    if (open > limits.most_open) {
      add("stencil-open", Severity::info, {{"open", 100 * open}, {"limit", 100 * limits.most_open}}, std::nullopt);
    }
    if (found->slits > 0) {
      add("stencil-slit", Severity::info,
          {{"places", static_cast<double>(found->slits)}, {"limit", project.checks.brush_mm}}, found->slit);
    }
    const double bleed = project.checks.bleed_mm;
    if (!edge || bleed <= 0) continue;
    const double margin = to_edge(looked->openings, edge->within);
    if (margin < bleed - 0.01)
      add("stencil-margin", Severity::info, {{"margin", margin}, {"limit", bleed}}, std::nullopt);
  }
  return out;
}

}  // namespace dotlane
