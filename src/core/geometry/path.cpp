#include "core/geometry/path.hpp"

#include <numbers>

namespace dotlane {

Vec point_at(Vec from, const Segment& s, double t) {
  if (s.straight) return lerp(from, s.end, t);
  const double u = 1 - t;
  return from * (u * u * u) + s.c1 * (3 * u * u * t) + s.c2 * (3 * u * t * t) + s.end * (t * t * t);
}

std::pair<Vec, Segment> part_of(Vec from, const Segment& s, double t0, double t1) {
  if (s.straight) return {lerp(from, s.end, t0), Segment::line(lerp(from, s.end, t1))};
  auto blossom = [&](double a, double b, double c) {
    const Vec q0 = lerp(from, s.c1, a), q1 = lerp(s.c1, s.c2, a), q2 = lerp(s.c2, s.end, a);
    return lerp(lerp(q0, q1, b), lerp(q1, q2, b), c);
  };
  return {blossom(t0, t0, t0), Segment::cubic(blossom(t0, t0, t1), blossom(t0, t1, t1), blossom(t1, t1, t1))};
}

Path transformed(const Path& path, const Affine& map) {
  Path out = path;
  for (auto& contour : out.contours) {
    contour.start = map(contour.start);
    for (auto& s : contour.segments) s = {map(s.c1), map(s.c2), map(s.end), s.straight};
  }
  return out;
}

std::size_t segment_count(const Path& path) {
  std::size_t n = 0;
  for (const auto& contour : path.contours) n += contour.segments.size();
  return n;
}

bool is_point(const Contour& c) {
  return std::all_of(c.segments.begin(), c.segments.end(), [&](const Segment& s) {
    return s.end == c.start && (s.straight || (s.c1 == c.start && s.c2 == c.start));
  });
}

Path with_meeting_ends_closed(Path path) {
  std::erase_if(path.contours, is_point);
  for (auto& contour : path.contours) {
    auto& last = contour.segments.back().end;
    if (distance(last, contour.start) <= kMeetingEnds) {
      last = contour.start;
      contour.closed = true;
    } else if (contour.closed) {
      contour.segments.push_back(Segment::line(contour.start));
    }
  }
  return path;
}

void append_arc(std::vector<Segment>& out, Vec from, double rx, double ry, double turn_degrees, bool large, bool sweep,
                Vec to, double scale) {
  using std::numbers::pi;
  rx = std::abs(rx), ry = std::abs(ry);
  if (from == to) return;
  if (rx == 0 || ry == 0) {
    out.push_back(Segment::line(to));
    return;
  }
  const Affine turn = Affine::rotate(turn_degrees), back = Affine::rotate(-turn_degrees);
  const Vec p = back((from - to) * 0.5);
  const double grow = std::sqrt(p.x * p.x / (rx * rx) + p.y * p.y / (ry * ry));
  if (grow > 1) rx *= grow, ry *= grow;
  const double n = rx * rx * ry * ry, q = rx * rx * p.y * p.y + ry * ry * p.x * p.x;
  double k = std::sqrt(std::max(0.0, (n - q) / q));
  if (large == sweep) k = -k;
  const Vec c{k * rx * p.y / ry, -k * ry * p.x / rx};
  const double a0 = std::atan2((p.y - c.y) / ry, (p.x - c.x) / rx);
  double span = std::atan2((-p.y - c.y) / ry, (-p.x - c.x) / rx) - a0;
  if (sweep && span < 0) span += 2 * pi;
  if (!sweep && span > 0) span -= 2 * pi;

  // A cubic that spans an angle t of a circle of radius r, with handles 4/3 tan(t/4), departs from it by about
  // r t^6 / 55000 (2.7e-4 r at a quarter turn); solving for 1 µm gives the number of pieces.
  const double radius_mm = std::max(rx, ry) * scale;
  const double widest = std::min(pi / 2, std::pow(55000 * 0.0009 / std::max(radius_mm, 1e-9), 1.0 / 6));
  const int pieces = std::clamp(static_cast<int>(std::ceil(std::abs(span) / widest - 1e-9)), 1, 1000);
  const double step = span / pieces, handle = 4.0 / 3 * std::tan(step / 4);
  const Vec centre = turn(c) + (from + to) * 0.5;
  auto point = [&](double angle, double along) {
    const double ca = std::cos(angle), sa = std::sin(angle);
    return centre + turn({rx * (ca - along * sa), ry * (sa + along * ca)});
  };
  for (int i = 0; i < pieces; ++i) {
    const double a = a0 + step * i, b = a0 + step * (i + 1);
    out.push_back(Segment::cubic(point(a, handle), point(b, -handle), i + 1 == pieces ? to : point(b, 0)));
  }
}

Contour straight_through(const std::vector<Vec>& points, bool closed) {
  Contour out{points.front(), {}, closed};
  for (std::size_t i = 1; i < points.size(); ++i) out.segments.push_back(Segment::line(points[i]));
  if (closed || points.size() == 1) out.segments.push_back(Segment::line(points.front()));
  return out;
}

Contour ellipse(Vec centre, double rx, double ry) {
  Contour out;
  out.start = {centre.x + rx, centre.y};
  append_arc(out.segments, out.start, rx, ry, 0, false, true, {centre.x - rx, centre.y}, 1);
  append_arc(out.segments, {centre.x - rx, centre.y}, rx, ry, 0, false, true, out.start, 1);
  out.segments.back().end = out.start;
  out.closed = true;
  return out;
}

}  // namespace dotlane
