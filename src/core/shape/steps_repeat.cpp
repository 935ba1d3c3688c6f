#include <algorithm>

#include "core/geometry/region.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/line_set.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostRepeated = 20'000;  // lines of all copies together

std::vector<Polyline> courses_of_lines(const std::vector<Line>& lines) {
  std::vector<Polyline> out;
  for (const auto& line : lines) {
    for (const auto& c : placed_path(line).contours) out.push_back(flatten(c, kChord));
  }
  return out;
}

/// What of the line lies in the room.
Line cut_to(const Line& line, const Region& room) {
  std::vector<Polyline> open;
  for (const auto& c : line.path->contours) {
    if (!c.closed) open.push_back(flatten(c, kChord));
  }
  return with_region(line, intersect(region_of(*line.path), room), clip(open, room, true));
}

std::string copy_id(const std::string& origin, const Copy& copy, int step, bool flat) {
  if (copy.column == 0 && copy.row == 0) return origin;
  if (!flat) return made_id(origin, step, copy.column);
  return made_id(origin, step) + "." + std::to_string(copy.column) + "." + std::to_string(copy.row);
}

}  // namespace

CopyOptions copy_options(const Reading& take) {
  using O = CopyOptions;
  CopyOptions out;
  const std::string way = take.text("way"), by = take.text("by"), ring = take.text("ring");
  out.way = way == "grid"     ? O::Way::grid
            : way == "brick"  ? O::Way::brick
            : way == "hex"    ? O::Way::hex
            : way == "around" ? O::Way::ring
            : way == "path"   ? O::Way::path
                              : O::Way::row;
  out.fill = by.starts_with("fill");
  out.by = by.ends_with("shapes")  ? O::By::shapes
           : by.ends_with("pitch") ? O::By::pitch
           : by.ends_with("room")  ? O::By::spread
                                   : O::By::gap;
  out.across = take.count("count"), out.down = take.count("rows");
  out.gap_mm = take.number("gap");
  if (out.by == O::By::shapes) out.gap_mm = std::max(0.0, out.gap_mm);
  out.pitch_mm = take.number("pitch"), out.pitch_down_mm = take.number("pitch-down");
  out.room = {take.number("wide"), take.number("high")};
  out.shift = take.number("shift") / 100;
  const std::string turned = take.text("each");
  out.turned = turned == "pm"         ? O::Turned::pm
               : turned == "pg"       ? O::Turned::pg
               : turned == "pmm"      ? O::Turned::pmm
               : turned == "p2"       ? O::Turned::p2
               : turned == "p4"       ? O::Turned::p4
               : turned == "p6"       ? O::Turned::p6
               : turned == "mirrored" ? O::Turned::mirrored
               : turned == "turned"   ? O::Turned::turned
                                      : O::Turned::p1;
  out.edge = take.is("edge", "cut") ? O::Edge::cut : take.is("edge", "wrap") ? O::Edge::wrap : O::Edge::whole;
  out.radius_mm = take.number("radius");
  out.turn = take.flag("turn");
  if (out.way == O::Way::ring) {
    out.radius_follows = ring == "shapes", out.fill = ring == "fill";
    if (ring != "radius") out.gap_mm = std::max(0.0, out.gap_mm);
  }
  return out;
}

std::vector<Line> step_repeat(std::vector<Line> lines, const StepCall& call) {
  if (bounds_of(lines).empty()) return lines;
  CopyOptions options = copy_options(call.take);
  if (options.room.x <= 0) options.room.x = call.inputs.room.x;
  if (options.room.y <= 0) options.room.y = call.inputs.room.y;
  if (options.way == CopyOptions::Way::path) {
    for (const int id : inputs_of(call.step)) {
      for (auto& line : call.inputs.courses(id)) options.path.push_back(std::move(line));
    }
  }
  const auto motif = courses_of_lines(lines);
  CopyTrouble trouble = CopyTrouble::none;
  const Copies made = copies_of(motif, options, kMostRepeated / lines.size(), trouble);
  const auto refuse = [&](const char* why) {
    call.outcome.trouble = {{why}};
    return lines;
  };
  if (trouble == CopyTrouble::no_room) return refuse("repeat-no-room");
  if (trouble == CopyTrouble::no_path) return refuse("repeat-no-path");
  if (trouble == CopyTrouble::too_many) return refuse("repeat-many");
  if (made.copies.empty()) return refuse("repeat-none");
  if (trouble == CopyTrouble::no_wrap) call.outcome.trouble = {{"repeat-no-wrap"}};

  const bool flat = made.rows > 1 || options.way == CopyOptions::Way::grid || options.way == CopyOptions::Way::brick ||
                    options.way == CopyOptions::Way::hex;
  const Box& b = made.room;
  const Region room{{{{b.x0, b.y0}, {b.x1, b.y0}, {b.x1, b.y1}, {b.x0, b.y1}}}};
  std::vector<Line> out;
  out.reserve(made.copies.size() * lines.size());
  std::vector<Line> parts;  // of a copy that crosses the edge, and comes in again at the other one
  const auto flush = [&] {
    for (auto& line : parts) {
      if (!line.path->contours.empty()) out.push_back(std::move(line));
    }
    parts.clear();
  };
  for (std::size_t k = 0; k < made.copies.size(); ++k) {
    const Copy& copy = made.copies[k];
    auto moved = mapped(lines, copy.map);
    for (auto& line : moved) line.id = copy_id(line.id, copy, call.step.id, flat);
    if (!copy.cut) {
      for (auto& line : moved) out.push_back(std::move(line));
      continue;
    }
    moved = placed(std::move(moved));
    for (std::size_t i = 0; i < moved.size(); ++i) {
      Line inside = cut_to(moved[i], room);
      if (i >= parts.size()) {
        parts.push_back(std::move(inside));
      } else {
        parts[i].path.edit([&](Path& path) {
          path.contours.insert(path.contours.end(), inside.path->contours.begin(), inside.path->contours.end());
        });
      }
    }
    const bool more = k + 1 < made.copies.size() && made.copies[k + 1].cut &&
                      made.copies[k + 1].column == copy.column && made.copies[k + 1].row == copy.row;
    if (!more) flush();
  }
  auto said = std::make_shared<Repeated>();
  said->count = made.count(), said->columns = made.columns, said->rows = made.rows;
  said->pitch_mm = made.pitch_mm, said->pitch_down_mm = made.pitch_down_mm, said->radius_mm = made.radius_mm;
  said->left_over = made.left_over, said->room = made.room;
  said->between_mm = least_between(motif, made);
  call.outcome.repeated = std::move(said);
  return out;
}

}  // namespace dotlane
