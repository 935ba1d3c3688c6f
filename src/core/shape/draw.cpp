#include "core/shape/draw.hpp"

#include <algorithm>

#include "core/geometry/refit.hpp"
#include "core/geometry/within.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/line_set.hpp"
#include "core/shape/steps.hpp"

namespace dotlane {
namespace {

constexpr double kHand = 4;  // mm: over which a hand's trembling is evened out
constexpr double kHandFit = 0.1;
constexpr double kMeant = 60;    // degrees: corners that a hand means
constexpr double kCourse = 0.1;  // mm: how exactly loops and courses are kept

std::vector<double> as_shares(const std::vector<Vec>& places, const DrawnPiece& piece) {
  const Box box = bounds_of(piece.piece->lines);
  const Affine back = piece.map.inverse();
  std::vector<double> out;
  for (const Vec place : thinned(Polyline{places, false}, kCourse).points) {
    const Vec local = back(place);
    out.push_back((local.x - box.x0) / box.width());
    out.push_back((local.y - box.y0) / box.height());
  }
  return out;
}

/// Appends the step to every one of the pieces that `meant` says yes to.
template <class Meant>
Project with_steps(Project project, const Drawing& drawing, const std::vector<int>& pieces, const std::string& kind,
                   const std::string& key, const std::vector<Vec>& places, Meant&& meant) {
  for (const int id : pieces) {
    const DrawnPiece* drawn = find_drawn(drawing, id);
    if (!drawn || drawn->stale || !meant(*drawn)) continue;
    const Box box = bounds_of(drawn->piece->lines);
    if (box.width() <= 0 || box.height() <= 0) continue;
    project = edit_piece(std::move(project), id, [&](Piece& p) {
      const Values values = p.steps.empty() ? Values{} : p.steps.back().values;
      const Reading last(*find_kind(step_kinds(), kind), values);
      // One that was added before anything was drawn is filled in.
      if (p.steps.empty() || p.steps.back().kind != kind || !last.list(key).empty()) {
        Step step;
        step.id = next_step_id(p);
        step.kind = kind;
        p.steps.push_back(std::move(step));
      }
      p.steps.back().values[key] = as_shares(places, *drawn);
    });
  }
  return project;
}

}  // namespace

std::optional<Contour> drawn_contour(const std::vector<Vec>& places, Drawn how, bool closed) {
  std::vector<Vec> points;
  for (const Vec p : places) {
    if (points.empty() || distance(points.back(), p) > 1e-6) points.push_back(p);
  }
  if (points.size() < 2) return std::nullopt;
  if (how == Drawn::freehand) {
    const Polyline hand = thinned(Polyline{points, false}, kHandFit);
    Contour stroke{hand.points.front(), {}, false};
    for (std::size_t i = 1; i < hand.points.size(); ++i) stroke.segments.push_back(Segment::line(hand.points[i]));
    return refit(flatten(smoothed(stroke, kHand, kMeant), kHandFit / 10), kHandFit);
  }
  Contour out;
  out.start = points.front();
  for (std::size_t i = 1; i < points.size(); ++i) out.segments.push_back(Segment::line(points[i]));
  if (closed && points.size() > 2) {
    out.closed = true;
    if (distance(points.back(), points.front()) > 1e-6) out.segments.push_back(Segment::line(points.front()));
    out.segments.back().end = out.start;
  }
  return out;
}

std::vector<Contour> fold_across(const DrawnPiece* piece, Vec from, Vec to) {
  const auto straight = [](Vec a, Vec b) { return Contour{a, {Segment::line(b)}, false}; };
  const double length = distance(from, to);
  if (!piece || length <= 0) return {straight(from, to)};
  const Region material = transformed(material_of(piece->piece->lines), piece->map);
  const Box box = bounds_of(material);
  if (material.empty()) return {straight(from, to)};
  const Vec way = (to - from) * (1 / length);
  const double reach = box.width() + box.height() + distance(from, box.centre());
  std::vector<Contour> out;
  for (const auto& stretch : clip({Polyline{{from - way * reach, to + way * reach}, false}}, material, true)) {
    if (stretch.points.size() > 1) out.push_back(straight(stretch.points.front(), stretch.points.back()));
  }
  if (out.empty()) out.push_back(straight(from, to));
  return out;
}

Project add_drawn(Project project, const std::vector<Contour>& contours, Drawn how, int over, const std::string& name,
                  int* id) {
  Piece piece;
  piece.id = next_piece_id(project);
  if (id) *id = piece.id;
  const auto taken = [&](const std::string& wanted) {
    return std::any_of(project.pieces.begin(), project.pieces.end(), [&](const auto& p) { return p->name == wanted; });
  };
  piece.name = name;
  for (int n = 2; taken(piece.name); ++n) piece.name = name + " " + std::to_string(n);
  const Piece* under = find_piece(project, over);
  piece.stock = under ? under->stock : project.sheets.empty() ? "cover-65" : project.sheets.front().stock;
  if (!find_stock(project, piece.stock)) piece.stock = project.stocks.empty() ? "" : project.stocks.front().id;
  if (under) piece.group = under->group;
  Line line;
  line.id = "1";
  line.role = how == Drawn::fold ? Role::score : Role::draw;
  line.dashed = how == Drawn::fold;
  line.path = Path{contours, FillRule::nonzero};
  line.tool = choose_tool(project, line.role, line.color, piece.stock);
  piece.lines.push_back(std::move(line));
  project.pieces.insert(project.pieces.begin(), Shared<Piece>(std::move(piece)));
  match_sheets(project);
  return project;
}

Project erase_within(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                     const std::vector<Vec>& loop) {
  const Region area = region_of({loop}, FillRule::nonzero);
  if (area.empty()) return project;
  const Within within(area);
  return with_steps(std::move(project), drawing, pieces, "erase", "loop", loop, [&](const DrawnPiece& piece) {
    for (std::size_t i = 0; i < piece.flat->lines.size(); ++i) {
      for (std::size_t c = 0; c < piece.flat->lines[i].polylines->size(); ++c) {
        if (within.holds(piece.course(i, c))) return true;
      }
    }
    return false;
  });
}

Project split_along(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                    const std::vector<Vec>& course) {
  if (course.size() < 2) return project;
  return with_steps(std::move(project), drawing, pieces, "split", "along", course, [&](const DrawnPiece& piece) {
    const Region material = transformed(material_of(piece.piece->lines), piece.map);
    return !material.empty() && !clip({Polyline{course, false}}, material, true).empty();
  });
}

}  // namespace dotlane
