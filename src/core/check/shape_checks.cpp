#include "core/check/shape_checks.hpp"

#include <algorithm>
#include <map>
#include <numbers>

#include "core/geometry/region.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/ready.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostSegments = 60'000;  // beyond this a piece is not opened up for slivers
constexpr double kSharp = 60;                  // degrees between the sides of a point that an offset would blunt

void troubles(const DrawnPiece& piece, std::vector<Finding>& out) {
  for (const auto& outcome : piece.outcomes) {
    if (outcome.trouble.empty()) continue;
    Finding f{"recipe-trouble", Severity::warning, {{"piece", piece.piece->name}}, {{piece.piece->id, ""}}};
    for (const auto& step : piece.piece->steps) {
      if (step.id == outcome.step && find_kind(step_kinds(), step.kind)) f.figures["step"] = step.kind;
    }
    f.because = outcome.trouble;
    out.push_back(std::move(f));
  }
}

/// The cut line's polylines as a region on the mat, in mm.
Region region_on_mat(const DrawnPiece& piece, std::size_t line) {
  std::vector<Ring> rings;
  const auto& polylines = *piece.flat->lines[line].polylines;
  for (std::size_t c = 0; c < polylines.size(); ++c) {
    if (!polylines[c].closed) continue;
    const auto placed = piece.course(line, c);
    rings.emplace_back(placed.points.begin(), placed.points.end() - 1);
  }
  return region_of(rings, piece.piece->lines[line].path->fill_rule);
}

void small_things(const Project& project, const DrawnPiece& piece, std::vector<Finding>& out) {
  std::vector<LineRef> tiny_lines, sliver_lines;
  std::size_t tiny = 0, slivers = 0;
  double least = 0;
  for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) {
    const Line& line = piece.piece->lines[i];
    if (line.role != Role::cut) continue;
    bool any = false;
    const auto& polylines = *piece.flat->lines[i].polylines;
    for (const auto& polyline : polylines) {
      if (!polyline.closed) continue;
      const double area = std::abs(signed_area_of(polyline) * piece.map_of(i).determinant());
      if (area >= project.checks.tiny_mm2) continue;
      least = tiny == 0 ? area : std::min(least, area);
      ++tiny;
      any = true;
    }
    const LineRef ref{piece.piece->id, line.id};
    if (any) tiny_lines.push_back(ref);
    if (piece.flat->segments > kMostSegments || project.checks.sliver_mm <= 0) continue;
    // A part that the limit's opening makes vanish is a sliver; one that it only trims is not.
    const double limit = project.checks.sliver_mm;
    if (polylines.size() == 1 && std::abs(signed_area_of(polylines.front())) > limit * length_of(polylines.front()) / 2)
      continue;
    const Region whole = region_on_mat(piece, i);
    for (const auto& part : parts_of(whole)) {
      const Box box = bounds_of(part);
      // Too broad for its outline to be one long strip.
      if (area_of(part) > limit * perimeter_of(part) / 2 || box.empty()) continue;
      if (!without_slivers(part, limit).empty()) continue;
      ++slivers;
      if (sliver_lines.empty() || !(sliver_lines.back() == ref)) sliver_lines.push_back(ref);
    }
  }
  const std::string& name = piece.piece->name;
  if (tiny > 0) {
    Finding f{"tiny-bits",
              Severity::warning,
              {{"piece", name},
               {"contours", static_cast<double>(tiny)},
               {"limit", project.checks.tiny_mm2},
               {"least", least}},
              tiny_lines};
    Fix fix{Fix::Kind::add_step, {"fix-drop-tiny"}, "", 0, {{piece.piece->id, ""}}, {}};
    fix.step.kind = "drop-small";
    fix.step.values = {{"under", 0.0}, {"area-under", project.checks.tiny_mm2}, {"of", std::string("cut")}};
    f.fixes.push_back(std::move(fix));
    out.push_back(std::move(f));
  }
  if (slivers > 0) {
    out.push_back({"slivers",
                   Severity::warning,
                   {{"piece", name}, {"parts", static_cast<double>(slivers)}, {"limit", project.checks.sliver_mm}},
                   sliver_lines});
  }
}

/// Sharp points of the source that a rounded or bevelled outward offset blunts.
void blunt_points(const DrawnPiece& piece, const Piece& raw, std::vector<Finding>& out) {
  const auto found = std::find_if(raw.steps.begin(), raw.steps.end(), [](const Step& s) { return s.on; });
  if (found == raw.steps.end() || found->kind != "offset") return;
  const Reading take(*find_kind(step_kinds(), "offset"), found->values);
  if (!take.is("side", "out") || take.is("corners", "mitre")) return;
  const std::vector<Line> lines = raw.source.kind.empty() ? raw.lines : std::vector<Line>{};
  std::size_t sharp = 0;
  auto look = [&](const Path& path) {
    for (const auto& contour : path.contours) {
      if (!contour.closed) continue;
      const auto polyline = flatten(contour, 0.05);
      const bool turned = signed_area_of(polyline) < 0;
      const auto& p = polyline.points;
      for (std::size_t i = 0; i + 1 < p.size(); ++i) {
        const Vec a = p[i] - p[i == 0 ? p.size() - 2 : i - 1], b = p[i + 1] - p[i];
        const double turn = std::atan2(cross(a, b), dot(a, b)) * 180 / std::numbers::pi * (turned ? -1 : 1);
        sharp += turn > 180 - kSharp;
      }
    }
  };
  for (const auto& line : lines) look(*line.path);
  // A ready shape's own lines are not kept; a star says itself that it has points.
  if (raw.source.kind == "star")
    sharp += static_cast<std::size_t>(Reading(*find_kind(shape_kinds(), "star"), raw.source.values).number("points"));
  if (sharp == 0) return;
  Finding f{"blunt-points",
            Severity::info,
            {{"piece", piece.piece->name}, {"points", static_cast<double>(sharp)}},
            {{piece.piece->id, ""}}};
  Fix fix{Fix::Kind::change_step, {"fix-mitre"}, "", 0, {}, {}};
  fix.step.id = found->id;
  fix.step.values = {{"corners", std::string("mitre")}, {"limit", 10.0}};
  f.fixes.push_back(std::move(fix));
  out.push_back(std::move(f));
}

/// What is drawn on the face of a pin badge and reaches into its rim, where it is folded away.
void badge_rims(const Project& project, const Drawing& drawing, std::vector<Finding>& out) {
  for (const auto& badge : drawing.pieces) {
    const Piece* raw = find_piece(project, badge->piece->id);
    if (!raw || raw->source.kind != "badge") continue;
    const BadgeFace face = badge_face(raw->source.values);
    const double scale = std::sqrt(std::abs(raw->placement.determinant()));
    const Vec centre = raw->placement(face.centre());
    std::vector<LineRef> lines;
    double worst = 0;
    for (const auto& piece : drawing.pieces) {
      if (piece->piece->helper || !piece->bounds.overlaps(badge->bounds)) continue;
      for (std::size_t i = 0; i < piece->piece->lines.size(); ++i) {
        const Role role = piece->piece->lines[i].role;
        if (!runs(role) || role == Role::cut || role == Role::score) continue;
        double far = 0;
        const Affine map = piece->map_of(i);
        for (const auto& polyline : *piece->flat->lines[i].polylines) {
          for (const Vec p : polyline.points) far = std::max(far, distance(map(p), centre));
        }
        if (far <= face.clear_radius * scale + 0.01 || far > face.cut / 2 * scale + 0.01) continue;
        lines.push_back({piece->piece->id, piece->piece->lines[i].id});
        worst = std::max(worst, far - face.clear_radius * scale);
      }
    }
    if (lines.empty()) continue;
    out.push_back({"badge-rim",
                   Severity::warning,
                   {{"piece", badge->piece->name}, {"lines", static_cast<double>(lines.size())}, {"past", worst}},
                   lines});
  }
}

}  // namespace

std::vector<Finding> check_shapes(const Project& project, const Drawing& drawing) {
  std::vector<Finding> out;
  for (const auto& piece : drawing.pieces) {
    if (piece->piece->helper) continue;
    troubles(*piece, out);
    const Piece* raw = find_piece(project, piece->piece->id);
    // Lettering names its letters itself: see check_lettering().
    if (!raw || raw->source.kind != "lettering") small_things(project, *piece, out);
    if (raw) blunt_points(*piece, *raw, out);
  }
  badge_rims(project, drawing, out);
  return out;
}

}  // namespace dotlane
