#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/geometry/measure.hpp"
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

Contour smoothed(const Contour& contour, double span, double keep_over) {
  Polyline chain = flatten(contour, kChord);
  auto& p = chain.points;
  if (p.size() < 4) return contour;
  auto turn = [&](std::size_t i) {
    const Vec a = p[i] - p[i == 0 ? p.size() - 2 : i - 1], b = p[i + 1 == p.size() ? 1 : i + 1] - p[i];
    return std::abs(std::atan2(cross(a, b), dot(a, b))) * 180 / std::numbers::pi;
  };
  std::vector<std::size_t> corners;
  for (std::size_t i = chain.closed ? 0 : 1; i + 1 < p.size(); ++i) {
    if (turn(i) > keep_over) corners.push_back(i);
  }
  if (chain.closed && corners.empty()) return refit(Polyline{evened(p, span, true), true});
  if (chain.closed) {  // start at a corner
    std::rotate(p.begin(), p.begin() + static_cast<std::ptrdiff_t>(corners.front()), p.end() - 1);
    p.back() = p.front();
    const std::size_t shift = corners.front();
    for (auto& c : corners) c -= shift;
  } else {
    corners.insert(corners.begin(), 0);
  }
  corners.push_back(p.size() - 1);
  Polyline out;
  out.closed = chain.closed;
  for (std::size_t k = 1; k < corners.size(); ++k) {
    const std::vector<Vec> run(p.begin() + static_cast<std::ptrdiff_t>(corners[k - 1]),
                               p.begin() + static_cast<std::ptrdiff_t>(corners[k]) + 1);
    const auto even = run.size() > 2 ? evened(run, span, false) : run;
    out.points.insert(out.points.end(), even.begin() + (k > 1 ? 1 : 0), even.end());
  }
  return refit(out);
}

struct End {
  std::size_t line, contour;
  bool last;
  Vec at;
};

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
  const Box box = bounds_of(lines);
  // Each place means the contour nearest to it.
  std::vector<std::pair<std::size_t, std::size_t>> picked;
  for (std::size_t s = 0; s + 1 < spots.size(); s += 2) {
    const Vec at{box.x0 + spots[s] * box.width(), box.y0 + spots[s + 1] * box.height()};
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
    lines[i] = with_region(lines[i], unite({region}), open_chains(lines[i]));
  }
  return lines;
}

std::vector<Line> step_remove_doubled(std::vector<Line> lines, const StepCall& call) {
  const double within = call.take.number("within");
  struct Kept {
    Polyline chain;
    Box box;
  };
  std::vector<Kept> kept;
  // Upper lines stay, what lies on them goes.
  const auto meant = outlines_meant(call.take.text("of"), lines);
  for (auto i = meant.rbegin(); i != meant.rend(); ++i) {
    lines[*i].path.edit([&](Path& path) {
      std::vector<Contour> out;
      for (const auto& contour : path.contours) {
        Polyline chain = flatten(contour, within / 4);
        Box box;
        for (const Vec p : chain.points) box.add(p);
        const bool doubled = std::any_of(kept.begin(), kept.end(), [&](const Kept& k) {
          if (!k.box.grown(within).contains(box)) return false;
          for (std::size_t s = 0; s < chain.points.size(); ++s) {
            if (distance_to(k.chain, chain.points[s]) > within) return false;
            if (s > 0 && distance_to(k.chain, lerp(chain.points[s - 1], chain.points[s], 0.5)) > within) return false;
          }
          return true;
        });
        if (doubled) {
          ++call.outcome.dropped;
          continue;
        }
        out.push_back(contour);
        kept.push_back({std::move(chain), box});
      }
      path.contours = std::move(out);
    });
  }
  return lines;
}

std::vector<Line> step_close_gaps(std::vector<Line> lines, const StepCall& call) {
  const double under = call.take.number("under");
  const auto meant = outlines_meant(call.take.text("of"), lines);
  // Nearest ends of lines of one role first, until no two are near enough.
  for (;;) {
    std::vector<End> ends;
    for (const std::size_t i : meant) {
      const auto& contours = lines[i].path->contours;
      for (std::size_t k = 0; k < contours.size(); ++k) {
        if (contours[k].closed || contours[k].segments.empty()) continue;
        ends.push_back({i, k, false, contours[k].start});
        ends.push_back({i, k, true, contours[k].segments.back().end});
      }
    }
    std::sort(ends.begin(), ends.end(), [](const End& a, const End& b) { return a.at.x < b.at.x; });
    double nearest = under;
    std::optional<std::pair<End, End>> best;
    for (std::size_t a = 0; a < ends.size(); ++a) {
      for (std::size_t b = a + 1; b < ends.size() && ends[b].at.x - ends[a].at.x <= nearest; ++b) {
        if (lines[ends[a].line].role != lines[ends[b].line].role) continue;
        const double d = distance(ends[a].at, ends[b].at);
        if (d <= nearest) nearest = d, best = {ends[a], ends[b]};
      }
    }
    if (!best) return lines;
    ++call.outcome.dropped;
    auto [a, b] = *best;
    if (a.line == b.line && a.contour == b.contour) {
      lines[a.line].path.edit([&](Path& path) {
        auto& c = path.contours[a.contour];
        if (distance(c.segments.back().end, c.start) > kMeetingEnds) {
          c.segments.push_back(Segment::line(c.start));
        } else {
          c.segments.back().end = c.start;
        }
        c.closed = true;
      });
      continue;
    }
    Contour first = lines[a.line].path->contours[a.contour], second = lines[b.line].path->contours[b.contour];
    if (!a.last) first = reversed(first);
    if (b.last) second = reversed(second);
    if (distance(first.segments.back().end, second.start) > kMeetingEnds) {
      first.segments.push_back(Segment::line(second.start));
    } else {
      first.segments.back().end = second.start;
    }
    first.segments.insert(first.segments.end(), second.segments.begin(), second.segments.end());
    lines[a.line].path.edit([&](Path& path) { path.contours[a.contour] = first; });
    lines[b.line].path.edit(
        [&](Path& path) { path.contours.erase(path.contours.begin() + static_cast<std::ptrdiff_t>(b.contour)); });
  }
}

}  // namespace dotlane
