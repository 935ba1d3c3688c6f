#include <algorithm>
#include <cmath>
#include <cstdint>
#include <map>
#include <numbers>

#include "core/geometry/measure.hpp"
#include "core/geometry/within.hpp"
#include "core/shape/line_set.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// Runs `change` over the contours of every line meant; contours it empties are left out.
template <class Change>
std::vector<Line> each_contour(std::vector<Line> lines, const std::string& of, Change change) {
  for (const std::size_t i : outlines_meant(of, lines)) {
    lines[i].path.edit([&](Path& path) {
      std::vector<Contour> out;
      for (const auto& contour : path.contours) {
        Contour c = change(contour);
        if (!c.segments.empty()) out.push_back(std::move(c));
      }
      path.contours = std::move(out);
    });
  }
  return lines;
}

/// One stretch of points a span apart, evened out by a Gaussian of that span; its ends stay.
std::vector<Vec> evened(const std::vector<Vec>& points, double span, bool closed) {
  std::vector<double> along(points.size(), 0.0);
  for (std::size_t i = 1; i < points.size(); ++i) along[i] = along[i - 1] + distance(points[i - 1], points[i]);
  const double whole = along.back(), wanted = span / 6;
  const auto n = static_cast<std::size_t>(std::clamp(std::ceil(whole / wanted), 4.0, 200'000.0));
  std::vector<Vec> even;
  std::size_t k = 1;
  for (std::size_t i = 0; i <= n; ++i) {
    const double at = whole * static_cast<double>(i) / static_cast<double>(n);
    while (k + 1 < along.size() && along[k] < at) ++k;
    const double part = along[k] - along[k - 1];
    even.push_back(lerp(points[k - 1], points[k], part > 0 ? std::clamp((at - along[k - 1]) / part, 0.0, 1.0) : 0));
  }
  const double sigma = span / 2 / (whole / static_cast<double>(n));
  const auto reach = static_cast<std::ptrdiff_t>(std::ceil(3 * sigma));
  std::vector<double> weights;
  for (std::ptrdiff_t d = 0; d <= reach; ++d) {
    const double x = static_cast<double>(d) / sigma;
    weights.push_back(std::exp(-x * x / 2));
  }
  const auto size = static_cast<std::ptrdiff_t>(n);
  std::vector<Vec> out;
  for (std::ptrdiff_t i = 0; i <= size; ++i) {
    // Near a fixed end the window narrows evenly, so that the end itself does not move.
    const std::ptrdiff_t r = closed ? std::min(reach, size / 2) : std::min({reach, i, size - i});
    Vec sum{};
    double total = 0;
    for (std::ptrdiff_t d = -r; d <= r; ++d) {
      const std::ptrdiff_t at = closed ? ((i + d) % size + size) % size : i + d;
      const double w = weights[static_cast<std::size_t>(std::abs(d))];
      sum = sum + even[static_cast<std::size_t>(at)] * w;
      total += w;
    }
    out.push_back(sum * (1 / total));
  }
  return out;
}

Contour reversed(const Contour& in) {
  Contour out;
  out.closed = in.closed;
  if (in.segments.empty()) return in;
  out.start = in.segments.back().end;
  for (std::size_t i = in.segments.size(); i-- > 0;) {
    const Segment& s = in.segments[i];
    const Vec to = i == 0 ? in.start : in.segments[i - 1].end;
    out.segments.push_back(s.straight ? Segment::line(to) : Segment::cubic(s.c2, s.c1, to));
  }
  return out;
}

}  // namespace

Contour smoothed(const Contour& contour, double span, double keep_over) {
  Polyline polyline = flatten(contour, kChord);
  auto& p = polyline.points;
  if (p.size() < 4) return contour;
  auto turn = [&](std::size_t i) {
    const Vec a = p[i] - p[i == 0 ? p.size() - 2 : i - 1], b = p[i + 1 == p.size() ? 1 : i + 1] - p[i];
    return std::abs(std::atan2(cross(a, b), dot(a, b))) * 180 / std::numbers::pi;
  };
  std::vector<std::size_t> corners;
  for (std::size_t i = polyline.closed ? 0 : 1; i + 1 < p.size(); ++i) {
    if (turn(i) > keep_over) corners.push_back(i);
  }
  if (polyline.closed && corners.empty()) return refit(Polyline{evened(p, span, true), true});
  if (polyline.closed) {  // start at a corner
    std::rotate(p.begin(), p.begin() + static_cast<std::ptrdiff_t>(corners.front()), p.end() - 1);
    p.back() = p.front();
    const std::size_t shift = corners.front();
    for (auto& c : corners) c -= shift;
  } else {
    corners.insert(corners.begin(), 0);
  }
  corners.push_back(p.size() - 1);
  Polyline out;
  out.closed = polyline.closed;
  for (std::size_t k = 1; k < corners.size(); ++k) {
    const std::vector<Vec> run(p.begin() + static_cast<std::ptrdiff_t>(corners[k - 1]),
                               p.begin() + static_cast<std::ptrdiff_t>(corners[k]) + 1);
    const auto even = run.size() > 2 ? evened(run, span, false) : run;
    out.points.insert(out.points.end(), even.begin() + (k > 1 ? 1 : 0), even.end());
  }
  return refit(out);
}

std::vector<Line> step_simplify(std::vector<Line> lines, const StepCall& call) {
  const double tolerance = call.take.number("tolerance");
  return each_contour(std::move(lines), call.take.text("of"), [&](const Contour& c) {
    // Half of the tolerance goes to leaving vertices out, the rest to the curve through what remains.
    Contour fewer = refit(thinned(flatten(c, std::min(kChord, tolerance / 20)), tolerance * 0.5), tolerance * 0.45);
    return fewer.segments.size() < c.segments.size() ? fewer : c;
  });
}

std::vector<Line> step_smooth(std::vector<Line> lines, const StepCall& call) {
  return each_contour(std::move(lines), call.take.text("of"), [&](const Contour& c) {
    return smoothed(c, call.take.number("span"), call.take.number("keep-over"));
  });
}

std::vector<Line> step_drop_small(std::vector<Line> lines, const StepCall& call) {
  const double under = call.take.number("under"), area_under = call.take.number("area-under");
  return each_contour(std::move(lines), call.take.text("of"), [&](const Contour& c) {
    const Box box = bounds_of(Path{{c}, FillRule::nonzero});
    const bool small = std::max(box.width(), box.height()) < under ||
                       (c.closed && std::abs(signed_area_of(flatten(c, kChord))) < area_under);
    call.outcome.dropped += small;
    return small ? Contour{} : c;
  });
}

std::vector<Line> step_drop_contours(std::vector<Line> lines, const StepCall& call) {
  const auto spots = call.take.list("at");
  const bool keep = call.take.is("mode", "keep");
  const auto of = call.take.text("of");
  // Each place means the contour nearest to it.
  std::vector<std::pair<std::size_t, std::size_t>> picked;
  for (const Vec at : places_in(lines, spots)) {
    double nearest = std::numeric_limits<double>::infinity();
    std::pair<std::size_t, std::size_t> best;
    for (const std::size_t i : outlines_meant(of, lines)) {
      const auto& contours = lines[i].path->contours;
      for (std::size_t k = 0; k < contours.size(); ++k) {
        const double d = distance_to(flatten(contours[k], 0.05), at);
        if (d < nearest) nearest = d, best = {i, k};
      }
    }
    if (std::isfinite(nearest)) picked.push_back(best);
  }
  if (picked.empty()) return lines;
  for (const std::size_t i : outlines_meant(of, lines)) {
    lines[i].path.edit([&](Path& path) {
      std::vector<Contour> out;
      for (std::size_t k = 0; k < path.contours.size(); ++k) {
        const bool hit = std::find(picked.begin(), picked.end(), std::pair{i, k}) != picked.end();
        if (hit == keep) {
          out.push_back(path.contours[k]);
        } else {
          ++call.outcome.dropped;
        }
      }
      path.contours = std::move(out);
    });
  }
  return lines;
}

std::vector<Line> step_erase(std::vector<Line> lines, const StepCall& call) {
  const std::vector<Vec> loop = places_in(lines, call.take.list("loop"));
  const Region area = region_of({loop}, FillRule::nonzero);
  if (area.empty()) return lines;
  const Within within(area);
  return each_contour(std::move(lines), call.take.text("of"), [&](const Contour& c) {
    const bool gone = within.holds(flatten(c, kChord));
    call.outcome.dropped += gone;
    return gone ? Contour{} : c;
  });
}

std::vector<Line> step_leave_out(std::vector<Line> lines, const StepCall& call) {
  const auto of = call.take.text("of");
  call.outcome.dropped += std::erase_if(lines, [&](const Line& line) { return named(of, line, false); });
  return lines;
}

std::vector<Line> step_fill_holes(std::vector<Line> lines, const StepCall& call) {
  const double under = call.take.number("under");
  for (const std::size_t i : shapes_meant(call.take.text("of"), lines)) {
    Region region = region_of(*lines[i].path);
    const auto before = region.rings.size();
    std::erase_if(region.rings, [&](const Ring& ring) {
      const double area = -signed_area_of(ring);
      return area > 0 && (under <= 0 || area < under);
    });
    if (region.rings.size() == before) continue;
    call.outcome.dropped += before - region.rings.size();
    lines[i] = with_region(lines[i], unite({region}), open_polylines(lines[i]));
  }
  return lines;
}

std::vector<Line> step_remove_doubled(std::vector<Line> lines, const StepCall& call) {
  const double within = call.take.number("within");
  struct Kept {
    Polyline polyline;
    Box box;
  };
  std::vector<Kept> kept;
  // Upper lines stay, what lies on them goes.
  const auto meant = outlines_meant(call.take.text("of"), lines);
  for (auto i = meant.rbegin(); i != meant.rend(); ++i) {
    lines[*i].path.edit([&](Path& path) {
      std::vector<Contour> out;
      for (const auto& contour : path.contours) {
        Polyline polyline = flatten(contour, within / 4);
        Box box;
        for (const Vec p : polyline.points) box.add(p);
        const bool doubled = std::any_of(kept.begin(), kept.end(), [&](const Kept& k) {
          if (!k.box.grown(within).contains(box)) return false;
          for (std::size_t s = 0; s < polyline.points.size(); ++s) {
            if (distance_to(k.polyline, polyline.points[s]) > within) return false;
            if (s > 0 && distance_to(k.polyline, lerp(polyline.points[s - 1], polyline.points[s], 0.5)) > within)
              return false;
          }
          return true;
        });
        if (doubled) {
          ++call.outcome.dropped;
          continue;
        }
        out.push_back(contour);
        kept.push_back({std::move(polyline), box});
      }
      path.contours = std::move(out);
    });
  }
  return lines;
}

namespace {

/// Pairs of places nearer to each other than `reach`, nearest first, found by cells of that size.
struct NearPair {
  double distance;
  std::size_t a, b;  // a < b
  friend auto operator<=>(const NearPair&, const NearPair&) = default;
};
template <class May>
std::vector<NearPair> near_pairs(const std::vector<Vec>& at, double reach, May may) {
  std::map<std::pair<std::int64_t, std::int64_t>, std::vector<std::size_t>> cells;
  const double side = std::max(reach, 1e-6);
  auto cell = [&](double v) { return static_cast<std::int64_t>(std::floor(v / side)); };
  std::vector<NearPair> out;
  for (std::size_t i = 0; i < at.size(); ++i) {
    const auto cx = cell(at[i].x), cy = cell(at[i].y);
    for (auto x = cx - 1; x <= cx + 1; ++x) {
      for (auto y = cy - 1; y <= cy + 1; ++y) {
        const auto found = cells.find({x, y});
        if (found == cells.end()) continue;
        for (const std::size_t k : found->second) {
          const double d = distance(at[i], at[k]);
          if (d <= reach && may(k, i)) out.push_back({d, k, i});
        }
      }
    }
    cells[{cx, cy}].push_back(i);
  }
  std::sort(out.begin(), out.end());
  return out;
}

}  // namespace

std::vector<Line> step_close_gaps(std::vector<Line> lines, const StepCall& call) {
  const double under = call.take.number("under");
  struct Open {
    std::size_t line, contour;
  };
  std::vector<Open> open;
  std::vector<Vec> ends;  // of open[k]: 2k where it starts, 2k + 1 where it ends
  for (const std::size_t i : outlines_meant(call.take.text("of"), lines)) {
    const auto& contours = lines[i].path->contours;
    for (std::size_t k = 0; k < contours.size(); ++k) {
      if (contours[k].closed || contours[k].segments.empty()) continue;
      open.push_back({i, k});
      ends.push_back(contours[k].start);
      ends.push_back(contours[k].segments.back().end);
    }
  }
  // Nearest ends of lines of one role first; an end that has been joined is taken. Joining moves no other end, so the
  // pairs are found once.
  constexpr auto kFree = static_cast<std::size_t>(-1);
  std::vector<std::size_t> joined(ends.size(), kFree);
  const auto same_role = [&](std::size_t a, std::size_t b) {
    return lines[open[a / 2].line].role == lines[open[b / 2].line].role;
  };
  for (const auto& pair : near_pairs(ends, under, same_role)) {
    if (joined[pair.a] != kFree || joined[pair.b] != kFree) continue;
    joined[pair.a] = pair.b, joined[pair.b] = pair.a;
    ++call.outcome.dropped;
  }
  // Each polyline is walked from a free end, or all around; it takes the place of its first contour.
  std::vector<char> walked(open.size(), 0);
  std::map<std::size_t, std::map<std::size_t, Contour>> made;  // by line and contour; without segments: gone
  auto extend = [](Contour& to, const Contour& by) {
    if (distance(to.segments.back().end, by.start) > kMeetingEnds) {
      to.segments.push_back(Segment::line(by.start));
    } else {
      to.segments.back().end = by.start;
    }
    to.segments.insert(to.segments.end(), by.segments.begin(), by.segments.end());
  };
  for (std::size_t k = 0; k < open.size(); ++k) {
    if (walked[k] || (joined[2 * k] == kFree && joined[2 * k + 1] == kFree)) continue;
    std::size_t start = 2 * k;
    while (joined[start] != kFree && joined[start] != (2 * k + 1)) start = joined[start] ^ 1;
    const bool around = joined[start] != kFree;
    if (around) start = 2 * k;
    Contour polyline;
    for (std::size_t end = start;;) {
      const Open& at = open[end / 2];
      walked[end / 2] = 1;
      const Contour& own = lines[at.line].path->contours[at.contour];
      const Contour next = end % 2 == 0 ? own : reversed(own);
      if (polyline.segments.empty()) {
        polyline = next;
      } else {
        extend(polyline, next);
      }
      made[at.line][at.contour] = {};
      const std::size_t on = joined[end ^ 1];
      if (on == kFree || on == start) break;
      end = on;
    }
    if (around) {
      if (distance(polyline.segments.back().end, polyline.start) > kMeetingEnds) {
        polyline.segments.push_back(Segment::line(polyline.start));
      } else {
        polyline.segments.back().end = polyline.start;
      }
      polyline.closed = true;
    }
    made[open[k].line][open[k].contour] = std::move(polyline);
  }
  for (const auto& [line, contours] : made) {
    lines[line].path.edit([&, &changed = contours](Path& path) {
      std::vector<Contour> out;
      for (std::size_t i = 0; i < path.contours.size(); ++i) {
        const auto found = changed.find(i);
        if (found == changed.end()) {
          out.push_back(std::move(path.contours[i]));
        } else if (!found->second.segments.empty()) {
          out.push_back(found->second);
        }
      }
      path.contours = std::move(out);
    });
  }
  return lines;
}

}  // namespace dotlane
