// Contours united with their curves kept, against GEOS and against the plain union.
#include <random>

#include "chance.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/geometry/unite_curves.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"

namespace dotlane::test {
namespace {

Contour blob(Vec middle, double size, int n, std::mt19937& random, bool wild) {
  std::uniform_real_distribution<double> unit(-1, 1);
  Contour c;
  c.closed = true;
  auto at = [&](int i) {
    const double a = 2 * 3.14159265358979 * i / n;
    return middle + Vec{std::cos(a), std::sin(a)} * (size * (1 + 0.3 * std::sin(3 * a)));
  };
  auto off = [&] { return Vec{unit(random), unit(random)} * (wild ? size * 0.8 : size * 0.15); };
  c.start = at(0);
  for (int i = 1; i <= n; ++i) {
    const Vec from = i == 1 ? c.start : c.segments.back().end, to = i == n ? c.start : at(i);
    if (unit(random) > 0.5) {
      c.segments.push_back(Segment::line(to));
    } else {
      c.segments.push_back(Segment::cubic(lerp(from, to, 0.3) + off(), lerp(from, to, 0.7) + off(), to));
    }
  }
  return c;
}

Contour turned_round(const Contour& c) {
  Contour out;
  out.closed = true;
  out.start = c.start;
  for (std::size_t i = c.segments.size(); i-- > 0;) {
    const auto& s = c.segments[i];
    const Vec to = i == 0 ? c.start : c.segments[i - 1].end;
    out.segments.push_back(s.straight ? Segment::line(to) : Segment::cubic(s.c2, s.c1, to));
  }
  return out;
}

std::vector<Ring> rings_of(const Path& path, double chord) {
  std::vector<Ring> out;
  for (const auto& c : path.contours) {
    auto polyline = flatten(c, chord);
    polyline.points.pop_back();
    out.push_back(std::move(polyline.points));
  }
  return out;
}

std::size_t curves_in(const Path& path) {
  std::size_t n = 0;
  for (const auto& c : path.contours)
    n += static_cast<std::size_t>(
        std::count_if(c.segments.begin(), c.segments.end(), [](const Segment& s) { return !s.straight; }));
  return n;
}

}  // namespace

TEST_CASE("curves that nothing crosses stay digit for digit, and a crossing splits only what it meets") {
  // Two discs of four curves each; the second cuts into the right half of the first.
  auto disc = [](Vec m, double r) {
    Contour c;
    c.closed = true;
    c.start = m + Vec{r, 0};
    for (const Vec to : {Vec{0, r}, Vec{-r, 0}, Vec{0, -r}, Vec{r, 0}})
      append_arc(c.segments, c.segments.empty() ? c.start : c.segments.back().end, r, r, 0, false, true, m + to, 1);
    return c;
  };
  const Path one{{disc({0, 0}, 10)}, FillRule::nonzero};
  const Path alone = united_curves(one);
  REQUIRE(alone.contours.size() == 1);
  CHECK(alone.contours[0].segments.size() == one.contours[0].segments.size());
  for (const auto& s : alone.contours[0].segments) {
    CHECK(std::find(one.contours[0].segments.begin(), one.contours[0].segments.end(), s) !=
          one.contours[0].segments.end());
  }
  const Path both = united_curves({{disc({0, 0}, 10), disc({12, 3}, 8)}, FillRule::nonzero});
  REQUIRE(both.contours.size() == 1);
  CHECK(curves_in(both) == segment_count(both));
  CHECK(segment_count(both) <= 2 * segment_count(one) + 2);
  // The lens by the chord of both circles (closed form).
  const double d = std::sqrt(12.0 * 12 + 9), a = (d * d + 100 - 64) / (2 * d), b = d - a;
  const double lens =
      100 * std::acos(a / 10) - a * std::sqrt(100 - a * a) + 64 * std::acos(b / 8) - b * std::sqrt(64 - b * b);
  CHECK(enclosed_area_of(both) == Approx(3.14159265358979 * 164 - lens).epsilon(3e-5));
  // A twin on top of it, and one turned round, change nothing.
  CHECK(enclosed_area_of(united_curves({{disc({0, 0}, 10), disc({0, 0}, 10)}, FillRule::nonzero})) ==
        Approx(enclosed_area_of(one)).epsilon(1e-9));
  CHECK(united_curves({{disc({0, 0}, 10), turned_round(disc({0, 0}, 10))}, FillRule::evenodd}).contours.empty());
}

TEST_CASE("random curved contours: united, they enclose what GEOS says their chords do") {
  std::mt19937 random(11);
  std::uniform_real_distribution<double> place(0, 60);
  for (int round = 0; round < rounds(120); ++round) {
    INFO("round " << round);
    Path path;
    path.fill_rule = round % 3 == 0 ? FillRule::evenodd : FillRule::nonzero;
    const int n = 1 + round % 6;
    for (int i = 0; i < n; ++i) {
      Contour c = blob({place(random), place(random)}, 4 + place(random) / 4, 3 + i * 2, random, round % 2 == 0);
      path.contours.push_back(i % 2 == 0 ? c : turned_round(c));
    }
    const Path ours = united_curves(path);
    const auto theirs = figures_of(geos_region(rings_of(path, 0.0005), path.fill_rule));
    CHECK(enclosed_area_of(ours) == Approx(theirs.area).margin(0.002 * theirs.perimeter + 0.01));
    // Every place of the outline lies within chords of the plain union, and the other way round.
    const Region plain = region_of(path, 0.0005), curved = region_of(ours, 0.0005);
    CHECK(area_of(subtract(plain, curved)) + area_of(subtract(curved, plain)) < 0.004 * theirs.perimeter + 0.01);
    CHECK(offset(subtract(plain, curved), -0.01).empty());
    CHECK(offset(subtract(curved, plain), -0.01).empty());
    // What it gives is clean: once more changes nothing to speak of, and nodes do not pile up.
    const Path again = united_curves(ours);
    // (Rings that touch in a point may come as one or as two.)
    CHECK(std::abs(static_cast<double>(again.contours.size()) - static_cast<double>(ours.contours.size())) <= 2);
    CHECK(segment_count(again) <= segment_count(ours) + 12);
    CHECK(enclosed_area_of(again) == Approx(enclosed_area_of(ours)).epsilon(1e-5));
    for (const auto& c : ours.contours) {
      CHECK(c.closed);
      CHECK(c.segments.back().end == c.start);
    }
  }
}

TEST_CASE("open contours are left out of a union, and nothing gives nothing") {
  CHECK(united_curves({}).contours.empty());
  Contour open;
  open.start = {0, 0};
  open.segments = {Segment::line({5, 0}), Segment::line({5, 5})};
  CHECK(united_curves({{open}, FillRule::nonzero}).contours.empty());
}

}  // namespace dotlane::test
