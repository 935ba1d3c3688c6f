#include <algorithm>

#include "core/shape/fill/fill_made.hpp"
#include "core/shape/line_set.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

const std::pair<FillPattern, const char*> kPatterns[] = {
    {FillPattern::hatch, "hatch"},     {FillPattern::cross, "cross"},   {FillPattern::zigzag, "zigzag"},
    {FillPattern::contour, "contour"}, {FillPattern::spiral, "spiral"}, {FillPattern::grid, "grid"},
    {FillPattern::rules, "rules"},     {FillPattern::dots, "dots"},     {FillPattern::stipple, "stipple"}};
const std::pair<SecondCoat, const char*> kSeconds[] = {
    {SecondCoat::none, "none"}, {SecondCoat::shifted, "shifted"}, {SecondCoat::turned, "turned"}};

/// The lines that are filled: those named, else what is drawn, foiled, engraved or embossed, else every closed one.
std::vector<std::size_t> filled_lines(const std::string& of, bool between, const std::vector<Line>& lines) {
  const bool named_any = !trimmed(of).empty();
  const bool marked =
      !between && std::any_of(lines.begin(), lines.end(), [](const Line& l) { return marks(l.role) && has_closed(l); });
  std::vector<std::size_t> out;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    const Line& line = lines[i];
    if (line.coat > 0) continue;
    if (named_any ? named(of, line, false) : line.role != Role::guide && (!marked || marks(line.role)))
      out.push_back(i);
  }
  return out;
}

bool follows_outline(FillPattern pattern) { return pattern == FillPattern::contour || pattern == FillPattern::spiral; }

/// About how many vertices nested insets have together: what they cost, each of them being an offset.
double vertices_of_insets(const Region& region, const FillOptions& o) {
  const double half_width = area_of(region) / std::max(perimeter_of(region) / 2, 1e-9);
  return (1 + half_width / o.spacing) * static_cast<double>(vertices_in(region));
}

}  // namespace

FillOptions fill_options(const Reading& take, double turned) {
  FillOptions o;
  for (const auto& [pattern, word] : kPatterns) {
    if (take.is("pattern", word)) o.pattern = pattern;
  }
  for (const auto& [second, word] : kSeconds) {
    if (take.is("second", word)) o.second = second;
  }
  o.spacing = take.number("spacing");
  o.angle = take.number("angle") - (take.is("angle-from", "mat") ? turned : 0);
  o.cross_angle = take.number("cross-angle");
  o.phase = take.number("phase") / 100;
  o.inset = take.number("inset");
  o.join = take.number("join");
  o.shortest = take.number("shortest");
  o.edge = take.flag("edge");
  o.seed = static_cast<std::uint64_t>(take.count("seed"));
  return o;
}

Values values_of(const FillOptions& o, double turned) {
  Values out;
  for (const auto& [pattern, word] : kPatterns) {
    if (o.pattern == pattern) out["pattern"] = std::string(word);
  }
  for (const auto& [second, word] : kSeconds) {
    if (o.second == second) out["second"] = std::string(word);
  }
  out["spacing"] = o.spacing;
  out["angle"] = o.angle + turned;
  out["join"] = o.join;
  return out;
}

Path stroke_path(const Strokes& strokes, bool curved) {
  Path path;
  path.contours.reserve(strokes.size());
  for (std::size_t i = 0; i < strokes.size(); ++i) {
    const auto points = strokes[i];
    if (curved) {  // many short chords: curves put back within half a micrometre
      path.contours.push_back(refit(Polyline{{points.begin(), points.end()}, points.front() == points.back()}, 5e-4));
      continue;
    }
    auto& contour = path.contours.emplace_back(Contour{points.front(), {}, false});
    contour.segments.reserve(points.size());
    for (std::size_t k = points.size() > 1 ? 1 : 0; k < points.size(); ++k)
      contour.segments.push_back(Segment::line(points[k]));
  }
  return path;
}

std::vector<Line> step_fill(std::vector<Line> lines, const StepCall& call) {
  const Reading& take = call.take;
  const bool between = take.is("what", "between");
  const auto meant = filled_lines(take.text("of"), between, lines);
  auto made = std::make_shared<FillMade>();
  std::vector<Region> regions;
  for (const std::size_t i : meant) {
    const Path& path = *lines[i].path;
    made->open += static_cast<std::size_t>(
        std::count_if(path.contours.begin(), path.contours.end(), [](const Contour& c) { return !c.closed; }));
    Path own = path;
    if (between && meant.size() == 1) own.fill_rule = FillRule::evenodd;
    regions.push_back(region_of(own));
  }
  made->region = between ? nested(regions) : unite(regions);
  if (made->region.empty()) {
    call.outcome.trouble = {{made->open > 0 ? "fill-open" : "fill-nothing"}};
    return lines;
  }
  if (made->open > 0) call.outcome.trouble = {{"fill-some-open", {{"lines", static_cast<double>(made->open)}}}};
  made->options = fill_options(take, call.inputs.turned);
  made->on_mat = take.is("angle-from", "mat");
  if (call.inputs.most_strokes > 0) {
    // A first impression: wider spacing, but the same pattern.
    const bool spots = made->options.pattern == FillPattern::dots || made->options.pattern == FillPattern::stipple;
    const double expected = follows_outline(made->options.pattern) ? vertices_of_insets(made->region, made->options)
                                                                   : expected_strokes(made->region, made->options);
    if (expected > call.inputs.most_strokes) {
      const double wider = expected / call.inputs.most_strokes;
      made->options.spacing *= spots ? std::sqrt(wider) : wider;
      made->coarse = true;
    }
  }
  for (const auto& part : parts_of(made->region)) {
    const Vec at = inner_point(part);
    std::size_t of = 0;
    for (std::size_t i = 1; i < meant.size(); ++i) {
      if (bounds_of(regions[i]).contains(at) && encloses(regions[i], at)) of = i;
    }
    made->parts.push_back({at, lines[meant[of]].id});
  }
  const Line& like = lines[meant.front()];
  Role role = marks(like.role) ? like.role : Role::draw;
  if (const auto said = role_from(take.text("as"))) role = *said;
  const bool curved = follows_outline(made->options.pattern);
  std::vector<Line> strokes;
  for (int coat = 0; coat < (made->options.second == SecondCoat::none ? 1 : 2); ++coat) {
    auto done = fill(made->region, made->options, coat);
    if (!done) {
      call.outcome.trouble = {done.error().said};
      return lines;
    }
    Line line = like;
    line.path = stroke_path(*done, curved);
    line.dashed = line.filled = false;
    line.id = made_id(like.id, call.step.id, coat == 0 ? 0 : 2);
    line.role = role;
    if (role != like.role) line.tool.clear();
    line.coat = coat + 1;
    made->lines.push_back(line.id);
    made->coats.push_back(std::move(*done));
    strokes.push_back(std::move(line));
  }
  if (made->coats.front().empty()) call.outcome.trouble = {{"fill-no-room"}};
  std::vector<Line> out;
  const bool outline = !take.is("outline", "leave-out");
  for (std::size_t i = 0; i < lines.size(); ++i) {
    const bool is_meant = std::find(meant.begin(), meant.end(), i) != meant.end();
    // Frames that are cut stay: without them nothing would come off the sheet.
    if (outline || !is_meant || lines[i].role == Role::cut) out.push_back(std::move(lines[i]));
  }
  std::move(strokes.begin(), strokes.end(), std::back_inserter(out));
  call.outcome.fill = std::move(made);
  return out;
}

}  // namespace dotlane
