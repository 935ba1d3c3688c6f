#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/shape/applique.hpp"
#include "core/shape/fill/fill.hpp"
#include "core/shape/lettering.hpp"
#include "core/shape/line_set.hpp"

namespace dotlane {

std::vector<Line> step_applique(std::vector<Line> lines, const StepCall& call) {
  const Reading& take = call.take;
  const auto meant = shapes_meant(take.text("of"), lines);
  const bool turned = take.is("edge", "turned"), reverse = take.is("edge", "reverse"), fused = take.is("edge", "fused");
  const double allowance = take.number("allowance"), underlap = reverse ? 0 : take.number("underlap");
  const double satin = turned || reverse ? 0 : take.number("satin"), stitch = take.number("stitch");
  if (meant.empty()) {
    call.outcome.trouble = {{"offset-nothing"}};
    return lines;
  }
  Region cover;
  if (underlap > 0) {
    auto pieces = inputs_of(call.step);
    if (pieces.empty()) pieces = call.inputs.above;
    std::vector<Region> all;
    for (const int id : pieces) all.push_back(call.inputs.covers(id));
    cover = unite(all);
  }
  auto [shapes, together, one] = faces_of(lines, meant);
  if (one) {
    shapes.assign(meant.size(), {});
    shapes.front() = together;
  }
  double thin = 0;
  const double thinnest = satin > 0 ? satin : kFrays;
  std::vector<Line> aids;
  for (std::size_t k = 0; k < meant.size(); ++k) {
    Line& line = lines[meant[k]];
    const Region& face = shapes[k];
    Region cut = reverse ? offset(face, -allowance) : applique_cut(face, cover, turned ? allowance : 0, underlap);
    if (cut.empty() && !face.empty()) ++call.outcome.dropped;
    if (!cover.empty() && !call.outcome.underlap) {
      if (const auto under = underlap_of(face, cover, cut, underlap))
        call.outcome.underlap = std::make_shared<const Underlap>(*under);
    }
    if (!turned && !reverse) thin += narrower_than(face, thinnest);
    const auto aid = [&](Path path, Role role, int number) {
      if (path.contours.empty()) return;
      Line made = line;
      made.path = std::move(path);
      made.role = role, made.tool.clear();
      made.id = made_id(line.id, call.step.id, number);
      aids.push_back(std::move(made));
    };
    if (stitch > 0) aid(refit(reverse ? offset(face, stitch) : offset(face, -stitch)), Role::draw, 1);
    if ((turned || reverse) && !take.is("marks", "none")) {
      // Of an opening the fabric around it is turned: what is outside is inside.
      Region edge = face, within = cut;
      if (reverse) {
        const Box b = bounds_of(face).grown(10 + allowance);
        const Region around{{{{b.x0, b.y0}, {b.x1, b.y0}, {b.x1, b.y1}, {b.x0, b.y1}}}};
        edge = subtract(around, face), within = subtract(around, cut);
        std::erase_if(edge.rings, [&](const Ring& r) { return bounds_of(r) == b; });
      }
      Path marks;
      for (const auto& mark : allowance_marks(edge, within, allowance)) marks.contours.push_back(refit(mark));
      aid(std::move(marks), take.is("marks", "score") ? Role::score : Role::draw, 2);
    }
    line = with_region(line, cut, open_polylines(line));
  }
  if (satin > 0 && !cover.empty() && underlap < satin / 2) {
    call.outcome.trouble = {{"applique-satin", {{"stitch", satin}, {"underlap", underlap}, {"least", satin / 2}}}};
  } else if (thin > 0.02 * area_of(together)) {
    call.outcome.trouble = {{"applique-thin", {{"width", thinnest}, {"area", thin}}}};
  }
  lines.insert(lines.end(), aids.begin(), aids.end());
  if (!fused || !take.flag("turn-over")) return lines;
  // Drawn on the paper of the web, which lies on the back.
  const Affine over = Affine::move(2 * bounds_of(lines).centre().x, 0) * Affine::scale(-1, 1);
  if (const auto under = call.outcome.underlap)
    call.outcome.underlap = std::make_shared<const Underlap>(Underlap{over(under->seen), over(under->cut)});
  return mapped(std::move(lines), over);
}

std::vector<Line> step_grain_arrow(std::vector<Line> lines, const StepCall& call) {
  constexpr double kShare = 0.6, kHead = 0.12, kShortest = 0.5;  // of the run, of the arrow; mm
  const auto meant = shapes_meant(call.take.text("of"), lines);
  if (meant.empty()) {
    call.outcome.trouble = {{"offset-nothing"}};
    return lines;
  }
  const double degrees = call.take.number("angle"), wanted = call.take.number("length");
  const Vec up = Affine::rotate(-degrees)({0, -1});
  std::vector<Line> arrows;
  for (const auto& face : parts_of(faces_of(lines, meant).together)) {
    const Vec at = inner_point(face);
    // The run through that place, end to end.
    const double reach = norm(Vec{bounds_of(face).width(), bounds_of(face).height()}) + 1;
    const Polyline through{{at - up * reach, at + up * reach}, false};
    for (const auto& run : clip({through}, face, true)) {
      const Vec a = run.points.front(), b = run.points.back();
      if (dot(at - a, b - at) < 0) continue;
      const double length = std::min(wanted > 0 ? wanted : kShare * distance(a, b), distance(a, b));
      if (length < kShortest) break;
      const Vec middle = (a + b) * 0.5, tail = middle - up * (length / 2), tip = middle + up * (length / 2);
      Path path;
      path.contours.push_back(refit(Polyline{{tail, tip}, false}));
      for (const auto& [end, way] : {std::pair{tip, -1.0}, std::pair{tail, 1.0}}) {
        const Vec back = up * (way * kHead * length), side = Vec{-up.y, up.x} * (0.5 * kHead * length);
        path.contours.push_back(refit(Polyline{{end + back + side, end, end + back - side}, false}));
      }
      Line arrow = lines[meant.front()];
      arrow.path = std::move(path);
      arrow.at = {};
      arrow.role = Role::draw, arrow.tool.clear();
      arrow.id = made_id(arrow.id, call.step.id, static_cast<int>(arrows.size()) + 1);
      arrows.push_back(std::move(arrow));
      break;
    }
  }
  lines.insert(lines.end(), arrows.begin(), arrows.end());
  return lines;
}

std::vector<Line> step_template(std::vector<Line> lines, const StepCall& call) {
  Path outlines, numbers;
  const double size = call.take.number("numbers");
  const auto pieces = inputs_of(call.step);
  // What of each the ones laid on it leave to be seen: its number stands there, where there is room at all.
  std::vector<Region> seen(pieces.size());
  Region above;
  for (std::size_t i = pieces.size(); i-- > 0;) {
    const Region& shape = call.inputs.covers(pieces[i]);
    seen[i] = subtract(shape, above);
    above = unite({above, shape});
  }
  for (std::size_t i = 0; i < pieces.size(); ++i) {
    const Region& shape = call.inputs.covers(pieces[i]);
    if (shape.empty()) continue;
    for (auto& contour : refit(shape).contours) outlines.contours.push_back(std::move(contour));
    if (size <= 0) continue;
    Path number;
    for (const auto& letter :
         set_lettering({{"text", std::to_string(i + 1)}, {"font", std::string("Hershey Plain")}, {"size", size}})
             .letters) {
      for (auto& contour : placed(letter).contours) number.contours.push_back(std::move(contour));
    }
    const Vec by = inner_point(seen[i].empty() ? shape : seen[i]) - bounds_of(number).centre();
    for (auto& contour : transformed(number, Affine::move(by.x, by.y)).contours)
      numbers.contours.push_back(std::move(contour));
  }
  if (outlines.contours.empty()) {
    call.outcome.trouble = {{"inputs-empty"}};
    return lines;
  }
  const auto add = [&](const char* name, Path path) {
    if (path.contours.empty()) return;
    Line line;
    line.id = name;
    line.color = {34, 34, 34};
    line.role = Role::draw;
    line.path = std::move(path);
    lines.push_back(std::move(line));
  };
  add("outlines", std::move(outlines));
  add("numbers", std::move(numbers));
  return lines;
}

}  // namespace dotlane
