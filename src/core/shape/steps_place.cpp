#include <algorithm>
#include <numbers>

#include "core/shape/line_set.hpp"

namespace dotlane {
namespace {

Affine about(Vec centre, const Affine& map) {
  return Affine::move(centre.x, centre.y) * map * Affine::move(-centre.x, -centre.y);
}

void add_copy(std::vector<Line>& out, const std::vector<Line>& lines, const Affine& map, int step, int number) {
  for (auto& line : mapped(lines, map)) {
    line.id = made_id(line.id, step, number);
    out.push_back(std::move(line));
  }
}

}  // namespace

std::vector<Line> step_mirror(std::vector<Line> lines, const StepCall& call) {
  const Box box = bounds_of(lines);
  if (box.empty()) return lines;
  const bool upright = call.take.is("axis", "upright"), keep = call.take.flag("keep");
  const double gap = call.take.number("gap");
  const Affine flip = upright ? Affine::scale(-1, 1) : Affine::scale(1, -1);
  if (!keep) return mapped(std::move(lines), about(box.centre(), flip));
  const Vec axis = upright ? Vec{box.x1 + gap / 2, 0} : Vec{0, box.y1 + gap / 2};
  auto out = lines;
  add_copy(out, lines, about(axis, flip), call.step.id, 0);
  return out;
}

std::vector<Line> step_move_lines(std::vector<Line> lines, const StepCall& call) {
  const auto of = call.take.text("of");
  std::vector<Line> meant;
  for (const auto& line : lines) {
    if (named(of, line, true)) meant.push_back(line);
  }
  if (meant.empty()) return lines;
  // About their own middle, in the figure's sense: up is up.
  const Affine map = Affine::move(call.take.number("right"), -call.take.number("up")) *
                     about(bounds_of(meant).centre(), Affine::rotate(-call.take.number("turn")));
  for (auto& line : lines) {
    if (named(of, line, true)) line = mapped({std::move(line)}, map).front();
  }
  return lines;
}

std::vector<Line> step_rotate(std::vector<Line> lines, const StepCall& call) {
  const Vec centre = bounds_of(lines).centre();
  return mapped(std::move(lines), about(centre, Affine::rotate(-call.take.number("by"))));
}

std::vector<Line> step_skew(std::vector<Line> lines, const StepCall& call) {
  const double degree = std::numbers::pi / 180;
  const double x = std::tan(call.take.number("across") * degree), y = std::tan(call.take.number("up") * degree);
  const Affine map{1, -y, -x, 1, 0, 0};
  if (std::abs(map.determinant()) < 1e-6) {
    call.outcome.trouble = {{"skew-flat"}};
    return lines;
  }
  const Vec centre = bounds_of(lines).centre();
  return mapped(std::move(lines), about(centre, map));
}

std::vector<Line> step_scale(std::vector<Line> lines, const StepCall& call) {
  const Box box = bounds_of(lines);
  const bool keep = call.take.flag("keep-proportions");
  const double size = call.take.number("size");
  auto refuse = [&](const char* why) {
    call.outcome.trouble = {{why}};
    return lines;
  };
  if (box.empty()) return lines;
  double sx = 1, sy = 1;
  Vec fixed{box.x0, box.y0}, shift{};
  if (call.take.is("to", "percent")) {
    sx = sy = call.take.number("percent") / 100;
  } else if (call.take.is("to", "width")) {
    if (box.width() <= 0) return refuse("scale-no-width");
    sx = size / box.width(), sy = keep ? sx : 1;
  } else if (call.take.is("to", "height")) {
    if (box.height() <= 0) return refuse("scale-no-height");
    sy = size / box.height(), sx = keep ? sy : 1;
  } else if (call.take.is("to", "longest")) {
    sx = sy = size / std::max(box.width(), box.height());
  } else {
    const bool into_pieces = call.take.is("to", "fit");
    Box room;
    if (into_pieces) {
      for (const int id : inputs_of(call.step)) room.add(call.inputs.bounds(id));
    } else if (call.inputs.room.x > 0) {
      room = Box::of(0, 0, call.inputs.room.x, call.inputs.room.y);
    }
    if (room.empty()) return refuse("fit-nothing");
    room = room.grown(-call.take.number("margin"));
    if (room.x0 >= room.x1 || room.y0 >= room.y1) return refuse("fit-no-room");
    sx = box.width() > 0 ? room.width() / box.width() : 1, sy = box.height() > 0 ? room.height() / box.height() : 1;
    if (keep) sx = sy = std::min(sx, sy);
    fixed = box.centre();
    if (into_pieces) shift = room.centre() - box.centre();  // a sheet is a size; where on it is for laying out
  }
  return mapped(std::move(lines), Affine::move(shift.x, shift.y) * about(fixed, Affine::scale(sx, sy)));
}

}  // namespace dotlane
