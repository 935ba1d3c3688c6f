#include <algorithm>
#include <numbers>

#include "core/shape/line_set.hpp"

namespace dotlane {
namespace {

Region without_holes(Region region) {
  std::erase_if(region.rings, [](const Ring& r) { return signed_area_of(r) <= 0; });
  return unite({region});
}

Corners corners_from(const std::string& text) {
  return text == "mitre" ? Corners::mitre : text == "bevel" ? Corners::bevel : Corners::round;
}

/// The place `length` mm along the flattened cubic, as its parameter.
double parameter_at(Vec from, const Segment& s, double length) {
  constexpr int kParts = 64;
  Vec last = from;
  double along = 0;
  for (int i = 1; i <= kParts; ++i) {
    const double t = static_cast<double>(i) / kParts, u = 1 - t;
    const Vec p = from * (u * u * u) + s.c1 * (3 * u * u * t) + s.c2 * (3 * u * t * t) + s.end * (t * t * t);
    const double step = distance(last, p);
    if (along + step >= length) return (i - 1 + (step > 0 ? (length - along) / step : 0)) / kParts;
    along += step;
    last = p;
  }
  return 1;
}

Vec unit(Vec v) {
  const double n = norm(v);
  return n > 0 ? v * (1 / n) : Vec{};
}

Vec leaving(Vec from, const Segment& s) {
  if (s.straight) return unit(s.end - from);
  for (const Vec c : {s.c1, s.c2, s.end}) {
    if (distance(c, from) > 1e-9) return unit(c - from);
  }
  return {};
}

Vec arriving(Vec from, const Segment& s) {
  if (s.straight) return unit(s.end - from);
  for (const Vec c : {s.c2, s.c1, from}) {
    if (distance(c, s.end) > 1e-9) return unit(s.end - c);
  }
  return {};
}

/// Corners replaced by arcs of the radius, or of a smaller one where the sides are too short for it. `convex` and
/// `concave` say which corners; for a hole they change places.
Contour rounded(const Contour& in, double radius, bool convex, bool concave) {
  constexpr double kLeastTurn = 0.1;
  const std::size_t n = in.segments.size();
  if (n < 2) return in;
  std::vector<Vec> from(n);
  std::vector<double> length(n);
  for (std::size_t i = 0; i < n; ++i) {
    from[i] = i == 0 ? in.start : in.segments[i - 1].end;
    length[i] = dotlane::length_of(flatten(Contour{from[i], {in.segments[i]}, false}, kChord));
  }
  const bool turned = signed_area_of(flatten(in, kChord)) < 0;
  // How much of the end of segment i and of the start of the next one the arc between them takes.
  std::vector<double> take(n, 0.0), turn(n, 0.0);
  for (std::size_t i = 0; i < n; ++i) {
    const std::size_t next = (i + 1) % n;
    if (next == 0 && !in.closed) continue;
    const Vec a = arriving(from[i], in.segments[i]), b = leaving(from[next], in.segments[next]);
    turn[i] = std::atan2(cross(a, b), dot(a, b));
    const bool outward = (turn[i] > 0) != turned;
    if (std::abs(turn[i]) < kLeastTurn || std::abs(turn[i]) > 3.1 || !(outward ? convex : concave)) continue;
    take[i] = std::min({radius * std::tan(std::abs(turn[i]) / 2), 0.495 * length[i], 0.495 * length[next]});
  }
  Contour out;
  out.closed = in.closed;
  for (std::size_t i = 0; i < n; ++i) {
    const Segment& s = in.segments[i];
    const double cut_start = take[(i + n - 1) % n], cut_end = take[i];
    auto where = [&](double along) {
      return length[i] <= 0 ? 0.0 : s.straight ? along / length[i] : parameter_at(from[i], s, along);
    };
    const auto [start, kept] =
        part_of(from[i], s, cut_start > 0 ? where(cut_start) : 0.0, cut_end > 0 ? where(length[i] - cut_end) : 1.0);
    if (i == 0) out.start = start;
    out.segments.push_back(kept);
    if (cut_end <= 0) continue;
    const std::size_t next = (i + 1) % n;
    const auto [to, after] = part_of(
        from[next], in.segments[next],
        in.segments[next].straight ? cut_end / length[next] : parameter_at(from[next], in.segments[next], cut_end),
        1.0);
    const Vec a = arriving(start, kept), b = leaving(to, after);
    const double angle = std::abs(std::atan2(cross(a, b), dot(a, b)));
    const double chord = distance(kept.end, to);
    // The cubic nearest to a circular arc of this angle over this chord.
    const double arm = angle > 1e-6 ? 4.0 / 3 * std::tan(angle / 4) * chord / (2 * std::sin(angle / 2)) : chord / 3;
    out.segments.push_back(Segment::cubic(kept.end + a * arm, to - b * arm, to));
  }
  if (out.closed) out.segments.back().end = out.start;
  return out;
}

/// The stretch of a polyline between two lengths along it.
std::vector<Vec> stretch(const Polyline& polyline, const std::vector<double>& along, double from, double to) {
  auto at = [&](double where) {
    const auto after = std::lower_bound(along.begin(), along.end(), where);
    const auto k = static_cast<std::size_t>(
        std::clamp<std::ptrdiff_t>(after - along.begin(), 1, static_cast<std::ptrdiff_t>(along.size()) - 1));
    const double span = along[k] - along[k - 1];
    return lerp(polyline.points[k - 1], polyline.points[k], span > 0 ? (where - along[k - 1]) / span : 0);
  };
  std::vector<Vec> out{at(from)};
  for (std::size_t i = 0; i < along.size(); ++i) {
    if (along[i] > from + 1e-9 && along[i] < to - 1e-9) out.push_back(polyline.points[i]);
  }
  out.push_back(at(to));
  return out;
}

}  // namespace

std::vector<Line> step_offset(std::vector<Line> lines, const StepCall& call) {
  const Reading& take = call.take;
  const auto meant = shapes_meant(take.text("of"), lines);
  const bool inward = take.is("side", "in"), merge = take.flag("merge");
  const double by = take.number("by"), holes_under = take.number("holes-under");
  const OffsetOptions options{corners_from(take.text("corners")), take.number("limit"), kChord};
  const int count = std::max(1, take.count("count"));
  const bool replaced = take.is("original", "remove"), drawn = take.is("original", "draw");
  if (meant.empty()) {
    call.outcome.trouble = {{"offset-nothing"}};
    return lines;
  }
  // What is offset: everything as one shape, or each line for itself.
  struct Subject {
    std::size_t like;
    Region region;
    std::vector<Polyline> open;
  };
  std::vector<Subject> subjects;
  for (const std::size_t i : meant) {
    Subject s{i, region_of(*lines[i].path), inward ? std::vector<Polyline>{} : open_polylines(lines[i])};
    subjects.push_back(std::move(s));
  }
  if (merge && subjects.size() > 1) {
    std::vector<Line> chosen;
    Subject all{meant.front(), {}, {}};
    for (const std::size_t i : meant) {
      chosen.push_back(lines[i]);
      chosen.back().role = Role::cut;
    }
    all.region = material_of(chosen);
    for (auto& s : subjects) {
      for (auto& polyline : s.open) all.open.push_back(std::move(polyline));
    }
    subjects.clear();
    subjects.push_back(std::move(all));
  }
  std::vector<Line> made;
  for (auto& s : subjects) {
    if (take.is("contours", "outer")) s.region = without_holes(s.region);
    for (int k = 0; k < count; ++k) {
      const double d = by + k * take.number("reveal");
      Region grown = offset(s.region, inward ? -d : d, options);
      if (!s.open.empty()) grown = unite({grown, buffer(s.open, d)});
      if (holes_under > 0) {
        const auto before = grown.rings.size();
        std::erase_if(grown.rings,
                      [&](const Ring& r) { return signed_area_of(r) < 0 && -signed_area_of(r) < holes_under; });
        call.outcome.dropped += before - grown.rings.size();
      }
      if (grown.empty()) {
        ++call.outcome.dropped;
        continue;
      }
      Line line = with_region(lines[s.like], grown);
      if (!replaced || count > 1) line.id = made_id(lines[s.like].id, call.step.id, count > 1 ? k + 1 : 0);
      made.push_back(std::move(line));
    }
  }
  if (made.empty()) call.outcome.trouble = {{"offset-vanished"}};
  std::vector<Line> out;
  for (std::size_t i = 0; i < lines.size(); ++i) {
    const bool is_meant = std::find(meant.begin(), meant.end(), i) != meant.end();
    // Outward results lie below what they surround, inward ones on top of it.
    if (i == meant.front() && !inward) out.insert(out.end(), made.begin(), made.end());
    if (!is_meant || !replaced) {
      out.push_back(std::move(lines[i]));
      if (is_meant && drawn) out.back().role = Role::draw, out.back().tool.clear();
    }
    if (i == meant.back() && inward) out.insert(out.end(), made.begin(), made.end());
  }
  return out;
}

std::vector<Line> step_thicken(std::vector<Line> lines, const StepCall& call) {
  const double by = call.take.number("by") / 2;
  const auto of = call.take.text("of");
  for (auto& line : lines) {
    if (!named(of, line, line.role != Role::guide && line.coat == 0)) continue;
    const auto open = by > 0 ? open_polylines(line) : std::vector<Polyline>{};
    const bool was = has_closed(line) || !open.empty();
    if (!was) continue;
    Region region = offset(region_of(*line.path), by, {Corners::mitre, 4, kChord});
    if (!open.empty()) region = unite({region, buffer(open, by)});
    if (region.empty()) ++call.outcome.dropped;
    line = with_region(line, region, by > 0 ? std::vector<Polyline>{} : open_polylines(line));
  }
  return lines;
}

std::vector<Line> step_round_corners(std::vector<Line> lines, const StepCall& call) {
  const double radius = call.take.number("radius");
  const bool outer = !call.take.is("which", "inner"), inner = !call.take.is("which", "outer");
  for (const std::size_t i : outlines_meant(call.take.text("of"), lines)) {
    lines[i].path.edit([&](Path& path) {
      std::vector<Polyline> flat;
      for (const auto& c : path.contours) flat.push_back(flatten(c, 0.05));
      for (std::size_t k = 0; k < path.contours.size(); ++k) {
        bool hole = false;
        for (std::size_t o = 0; o < flat.size(); ++o) {
          if (o != k && flat[o].closed && encloses(flat[o], flat[k].points.front())) hole = !hole;
        }
        path.contours[k] = rounded(path.contours[k], radius, hole ? inner : outer, hole ? outer : inner);
      }
    });
  }
  return lines;
}

std::vector<Line> step_dash(std::vector<Line> lines, const StepCall& call) {
  constexpr double kCorner = 30 * std::numbers::pi / 180;
  const double dash = call.take.number("dash"), gap = call.take.number("gap"), period = dash + gap;
  for (const std::size_t i : outlines_meant(call.take.text("of"), lines)) {
    Path out;
    for (const auto& contour : lines[i].path->contours) {
      const Polyline polyline = flatten(contour, kChord);
      const std::size_t n = polyline.points.size();
      if (n < 2) continue;
      std::vector<double> along(n, 0.0);
      for (std::size_t k = 1; k < n; ++k)
        along[k] = along[k - 1] + distance(polyline.points[k - 1], polyline.points[k]);
      // Corners cut the line into stretches; dashes bend around them, half on either side.
      std::vector<std::size_t> corners;
      for (std::size_t k = polyline.closed ? 0 : 1; k + 1 < n; ++k) {
        const Vec before = polyline.points[k] - polyline.points[k == 0 ? n - 2 : k - 1],
                  after = polyline.points[k + 1] - polyline.points[k];
        if (std::abs(std::atan2(cross(before, after), dot(before, after))) > kCorner) corners.push_back(k);
      }
      struct Run {
        double from, to;
        bool corner_first, corner_last;
      };
      std::vector<Run> runs;
      const double whole = along.back();
      if (polyline.closed && !corners.empty()) {
        for (std::size_t k = 0; k < corners.size(); ++k) {
          const double from = along[corners[k]],
                       to = k + 1 < corners.size() ? along[corners[k + 1]] : whole + along[corners[0]];
          runs.push_back({from, to, true, true});
        }
      } else {
        std::vector<double> cuts{0};
        for (const std::size_t k : corners) cuts.push_back(along[k]);
        cuts.push_back(whole);
        for (std::size_t k = 1; k < cuts.size(); ++k)
          runs.push_back({cuts[k - 1], cuts[k], polyline.closed || k > 1, polyline.closed || k + 1 < cuts.size()});
      }
      std::vector<std::pair<double, double>> marks;
      for (const auto& run : runs) {
        const double length = run.to - run.from;
        const double extra = (run.corner_first ? dash / 2 : dash) + (run.corner_last ? dash / 2 : dash) - dash;
        const int periods = std::max(1, static_cast<int>(std::lround((length - extra) / period)));
        const double scale = length / (periods * period + extra);
        double at = run.from;
        for (int k = 0; k <= periods; ++k) {
          const bool first = k == 0, last = k == periods;
          const double d = scale * (first && run.corner_first ? dash / 2 : last && run.corner_last ? dash / 2 : dash);
          if (!marks.empty() && std::abs(marks.back().second - at) < 1e-9) {
            marks.back().second = at + d;
          } else {
            marks.push_back({at, at + d});
          }
          at += d + scale * gap;
        }
      }
      // The last dash of a closed line runs on into the first.
      if (polyline.closed && marks.size() > 1 && std::abs(marks.back().second - (marks.front().first + whole)) < 1e-6) {
        marks.back().second = marks.front().second + whole;
        marks.erase(marks.begin());
      }
      for (auto [from, to] : marks) {
        if (from >= whole - 1e-9) from -= whole, to -= whole;
        std::vector<Vec> points;
        if (to > whole + 1e-9) {
          points = stretch(polyline, along, from, whole);
          const auto more = stretch(polyline, along, 0, to - whole);
          points.insert(points.end(), more.begin() + 1, more.end());
        } else {
          points = stretch(polyline, along, from, to);
        }
        // A line of next to no length makes marks of none.
        Contour mark = refit(Polyline{std::move(points), false});
        if (!mark.segments.empty()) out.contours.push_back(std::move(mark));
      }
    }
    lines[i].path = std::move(out);
    lines[i].dashed = true;
  }
  return lines;
}

}  // namespace dotlane
