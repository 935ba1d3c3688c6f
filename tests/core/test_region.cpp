// The geometry kernel against GEOS (libgeos 3.11, an independent library), closed forms and invariances.
#include <random>

#include "core/geometry/measure.hpp"
#include "core/geometry/path_data.hpp"
#include "core/geometry/refit.hpp"
#include "core/shape/steps.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "shape_cases.hpp"

namespace dotlane::test {
namespace {

constexpr double kPi = 3.14159265358979323846;

void same(const Figures& ours, const Figures& theirs, const std::string& what) {
  INFO(what << ": area " << ours.area << " against " << theirs.area << ", perimeter " << ours.perimeter << " against "
            << theirs.perimeter);
  CHECK(ours.area == Approx(theirs.area).epsilon(1e-5).margin(1e-9));
  CHECK(ours.perimeter == Approx(theirs.perimeter).epsilon(1e-5).margin(1e-6));
  CHECK(ours.holes == theirs.holes);
}

}  // namespace

TEST_CASE("unions, differences and overlaps agree with GEOS on every case") {
  const auto all = shape_cases();
  REQUIRE(all.size() >= 25);
  for (const auto& c : all) {
    INFO(c.name << " - " << c.about);
    const Region a = region_of(c.subject, c.rule), b = region_of(c.clip, c.rule);
    if (!c.dense) {
      same(figures_of(a), figures_of(geos_region(c.subject, c.rule)), "as it is");
      same(figures_of(b), figures_of(geos_region(c.clip, c.rule)), "the other as it is");
    }
    same(figures_of(unite({a, b})), geos_boolean(a, b, Boolean::join), "join");
    same(figures_of(subtract(a, b)), geos_boolean(a, b, Boolean::cut_away), "cut away");
    same(figures_of(intersect(a, b)), geos_boolean(a, b, Boolean::overlap), "overlap");
    // The dense path itself asks GEOS: what all three say must at least add up.
    const double both = area_of(intersect(a, b));
    CHECK(area_of(unite({a, b})) == Approx(area_of(a) + area_of(b) - both).epsilon(1e-6));
    CHECK(area_of(subtract(a, b)) == Approx(area_of(a) - both).epsilon(1e-6).margin(1e-9));
  }
}

TEST_CASE("dividing gives the fragments that GEOS gives") {
  for (const auto& c : shape_cases()) {
    if (c.dense || c.name == "far-away") continue;
    INFO(c.name << " - " << c.about);
    const Region a = region_of(c.subject, c.rule), b = region_of(c.clip, c.rule);
    auto line_of = [](const char* id, const Region& region) {
      Line line;
      line.id = id;
      Path path;
      for (const auto& ring : region.rings) {
        Contour contour;
        contour.start = ring.front();
        for (std::size_t i = 1; i < ring.size(); ++i) contour.segments.push_back(Segment::line(ring[i]));
        contour.segments.push_back(Segment::line(ring.front()));
        contour.closed = true;
        path.contours.push_back(std::move(contour));
      }
      line.path = std::move(path);
      return line;
    };
    StepOutcome outcome;
    const auto fragments = apply(Step{1, "divide", true, {}, {}, {}}, {line_of("a", a), line_of("b", b)}, {}, outcome);
    const Figures parts[] = {geos_boolean(a, b, Boolean::overlap), geos_boolean(a, b, Boolean::cut_away),
                             geos_boolean(b, a, Boolean::cut_away)};
    double area = 0, ours = 0;
    std::size_t count = 0;
    for (const auto& p : parts) area += p.area, count += p.parts;
    for (const auto& line : fragments) ours += enclosed_area_of(*line.path);
    // Fragments come back as curves within 10 µm; hairs between outlines that all but meet are left out.
    CHECK(ours == Approx(area).epsilon(1e-4).margin(c.name == "tiny"                        ? 1e-3
                                                    : c.name.starts_with("near-coincident") ? 0.15
                                                                                            : 0.05));
    // Fragments that touch in a single point may count as one or as two.
    const bool touching = c.name == "bow-tie" || c.name == "pentagram-evenodd";
    if (!touching && !c.name.starts_with("near-coincident") && c.name != "tiny" && c.name != "needle") {
      CHECK(fragments.size() + outcome.dropped == count);
    }
  }
}

TEST_CASE("offsets agree with GEOS on every case") {
  for (const auto& c : shape_cases()) {
    INFO(c.name << " - " << c.about);
    const Region a = region_of(c.subject, c.rule);
    for (const double by : {c.by, -c.by}) {
      for (const Corners corners : {Corners::round, Corners::mitre, Corners::bevel}) {
        if (c.dense && corners != Corners::round) continue;
        // Points past the limit are cut off in other ways by other libraries: here none reaches it.
        // Before a buffer GEOS itself evens out hollows by a hundredth of the distance, which shows between these
        // circles.
        if (corners != Corners::round && by < 0 && c.name == "joined-blobs") continue;
        if (corners == Corners::mitre && (c.name == "needle" || c.name.starts_with("near-coincident-s"))) continue;
        OffsetOptions options{corners, 60, c.dense ? kChord : 2e-5};
        const auto ours = figures_of(offset(a, by, options));
        const auto theirs = geos_offset(a, by, corners, 60, c.dense ? 40 : 400);
        INFO("by " << by << ", corners " << static_cast<int>(corners));
        INFO("area " << ours.area << " against " << theirs.area);
        // A rough dense outline is thinned first, as offset() says; the others to 1e-5 and the chord of their arcs.
        const double allowed = c.name == "rough-ring" ? 0.005 * theirs.perimeter : options.chord * theirs.perimeter;
        CHECK(ours.area == Approx(theirs.area).epsilon(1e-5).margin(c.dense && c.name != "rough-ring" ? 0 : allowed));
        CHECK(ours.holes == theirs.holes);
        // A rough outline has no length of its own to agree on.
        if (!c.dense && c.name != "tiny") CHECK(ours.perimeter == Approx(theirs.perimeter).epsilon(1e-5).margin(1e-6));
      }
    }
  }
}

TEST_CASE("round offsets of convex shapes follow Steiner's formula") {
  // J. Steiner, 1840: the region within d of a convex one of area A and perimeter P measures A + P d + pi d^2.
  for (const int sides : {3, 4, 7, 40}) {
    Ring ring;
    for (int i = 0; i < sides; ++i)
      ring.push_back({20 * std::cos(2 * kPi * i / sides), 13 * std::sin(2 * kPi * i / sides)});
    const Region shape = region_of({ring}, FillRule::nonzero);
    for (const double d : {0.1, 1.0, 12.5}) {
      const double area = area_of(offset(shape, d));
      const double steiner = area_of(shape) + perimeter_of(shape) * d + kPi * d * d;
      CHECK(std::abs(area - steiner) <= kChord * 2 * kPi * d);  // arcs and their chords are within kChord of each other
    }
  }
}

TEST_CASE("a mitred offset of a rectangle is exact") {
  const Region shape = region_of({Ring{{10, 10}, {50, 10}, {50, 30}, {10, 30}}}, FillRule::nonzero);
  const Region grown = offset(shape, 3, {Corners::mitre, 4, kChord}),
               shrunk = offset(shape, -3, {Corners::mitre, 4, kChord});
  CHECK(bounds_of(grown) == Box{7, 7, 53, 33});
  CHECK(area_of(grown) == Approx(46 * 26).epsilon(1e-15));
  CHECK(bounds_of(shrunk) == Box{13, 13, 47, 27});
  CHECK(vertices_in(grown) == 4);
  CHECK(offset(shape, -10.0001).empty());
}

TEST_CASE("of dense regions only what comes near is swept, and nothing else changes") {
  // A wavy disc, and many small rings in it, over its edge and beside it; some have islands.
  constexpr int kVertices = 60;
  const auto blob = [](Vec c, double r, int waves, int vertices) {
    Ring ring;
    for (int i = 0; i < vertices; ++i) {
      const double a = 2 * kPi * i / vertices, now = r * (1 + 0.06 * std::sin(waves * a));
      ring.push_back({c.x + now * std::cos(a), c.y + now * std::sin(a)});
    }
    return ring;
  };
  const Region disc = region_of({blob({100, 100}, 90, 17, 4000)}, FillRule::nonzero);
  std::mt19937 chance(29);
  const auto any = [&](double most) { return most * static_cast<double>(chance() % 1000) / 1000; };
  std::vector<Ring> rings;
  for (int row = 0; row < 26; ++row) {
    for (int column = 0; column < 26; ++column) {
      const Vec c{8.0 * column + any(1.3), 8.0 * row + any(1.3)};
      rings.push_back(blob(c, 2.6, 3, kVertices));
      if (chance() % 4 == 0) rings.push_back(blob(c, 1.2, 2, kVertices));
    }
  }
  const Region small = region_of(rings, FillRule::evenodd);
  REQUIRE(vertices_in(small) > 40'000);
  const Region pierced = subtract(disc, small);
  same(figures_of(pierced), geos_boolean(disc, small, Boolean::cut_away), "pierced");
  CHECK(area_of(pierced) == Approx(area_of(disc) - area_of(intersect(disc, small))).epsilon(1e-7));
  // Bits in holes, over their edges, over the outline and beside it; one that fills a hole whole.
  std::vector<Ring> bits{blob({100, 100}, 3.5, 1, 30)};
  for (int i = 0; i < 150; ++i) {
    bits.push_back(blob({any(210), any(210)}, 0.3 + any(1), 2, 12));
  }
  const Region extra = region_of(bits, FillRule::nonzero);
  const Region joined = unite({pierced, extra});
  same(figures_of(joined), geos_boolean(pierced, extra, Boolean::join), "joined");
  CHECK(area_of(joined) ==
        Approx(area_of(pierced) + area_of(extra) - area_of(intersect(pierced, extra))).epsilon(1e-7));
}

TEST_CASE("overlaps are the same however much of a large figure lies away from them") {
  // A star of 3,000 points with holes, and small shapes over its edge, in its holes and astride them.
  std::vector<Ring> rings{{}};
  for (int i = 0; i < 6000; ++i) {
    const double a = kPi * i / 3000, r = i % 2 == 0 ? 80 : 70 + 6 * std::sin(9 * a);
    rings[0].push_back({100 + r * std::cos(a), 100 + r * std::sin(a)});
  }
  for (int i = 0; i < 40; ++i) {
    rings.emplace_back();
    for (int k = 0; k < 90; ++k)
      rings.back().push_back(
          {60.0 + 10 * (i % 8) + 4 * std::cos(kPi * k / 45), 75.0 + 11 * (i / 8) + 4 * std::sin(kPi * k / 45)});
  }
  const Region star = region_of(rings, FillRule::evenodd);
  std::mt19937 chance(31);
  const auto any = [&](double most) { return most * static_cast<double>(chance() % 10007) / 10007; };
  for (int i = 0; i < 120; ++i) {
    const Vec c{15 + any(170), 15 + any(170)};
    const double r = 0.2 + any(i % 10 == 0 ? 60 : 8);
    Ring small;
    const int corners = 3 + static_cast<int>(any(300));
    for (int k = 0; k < corners; ++k) {
      const double a = 2 * kPi * k / corners;
      small.push_back({c.x + r * std::cos(a), c.y + r * (0.4 + any(0.6)) * std::sin(a)});
    }
    const Region b = region_of({small}, FillRule::nonzero);
    INFO(i);
    const Figures theirs = geos_boolean(star, b, Boolean::overlap);
    for (const Region& both : {intersect(star, b), intersect(b, star)}) {
      const Figures ours = figures_of(both);
      CHECK(ours.perimeter == Approx(theirs.perimeter).epsilon(1e-5).margin(1e-5));
      CHECK(ours.area == Approx(theirs.area).margin(1e-6 * theirs.perimeter + 1e-9));  // a grid of 1 nm
      CHECK(ours.holes == theirs.holes);
    }
  }
}

TEST_CASE("turning, scaling and mirroring the input does the same to the answer") {
  for (const auto& c : shape_cases()) {
    if (c.dense || c.name == "far-away" || c.name == "large") continue;
    INFO(c.name);
    const Region a = region_of(c.subject, c.rule), b = region_of(c.clip, c.rule);
    for (const Affine& map : {Affine::rotate(37), Affine::scale(-1, 1), Affine::move(12.3, -4.5)}) {
      auto apart = [&](const Region& moved, const Region& straight) {
        // What lies in one and not in the other is narrower than 20 µm: opened by that, nothing is left.
        const Region there = transformed(straight, map);
        return std::max(area_of(without_slivers(subtract(moved, there), 0.02)),
                        area_of(without_slivers(subtract(there, moved), 0.02)));
      };
      const Region ta = transformed(a, map), tb = transformed(b, map);
      CHECK(apart(unite({ta, tb}), unite({a, b})) == 0);
      CHECK(apart(subtract(ta, tb), subtract(a, b)) == 0);
      CHECK(apart(offset(ta, c.by), offset(a, c.by)) == 0);
    }
    // Three times as large, with three times the distance.
    const Affine larger = Affine::scale(3, 3);
    const Region moved = offset(transformed(a, larger), 3 * c.by), there = transformed(offset(a, c.by), larger);
    CHECK(without_slivers(subtract(moved, there), 0.02).empty());
    CHECK(without_slivers(subtract(there, moved), 0.02).empty());
  }
}

TEST_CASE("a join is the same at five millimetres and at five metres") {
  for (const auto& c : shape_cases()) {
    if (c.dense || c.name == "far-away" || c.name == "near-coincident-edges" || c.name == "near-coincident-slanted")
      continue;
    INFO(c.name);
    const Region a = region_of(c.subject, c.rule), b = region_of(c.clip, c.rule);
    Box box = bounds_of(a);
    box.add(bounds_of(b));
    const double small = 5 / std::max(box.width(), box.height()), large = small * 1000;
    auto joined = [&](double s) {
      const Affine map = Affine::scale(s, s);
      return unite({transformed(a, map), transformed(b, map)});
    };
    const Region one = joined(small), other = joined(large);
    CHECK(holes_in(one) == holes_in(other));
    CHECK(area_of(one) * 1e6 == Approx(area_of(other)).epsilon(1e-5));
  }
}

TEST_CASE("strokes become bands, and bands of open lines have round ends") {
  const std::vector<Polyline> line{{{{0, 0}, {30, 0}}, false}};
  CHECK(area_of(buffer(line, 2)) == Approx(30 * 4 + kPi * 4).epsilon(1e-3));
  const std::vector<Polyline> square{{{{0, 0}, {20, 0}, {20, 20}, {0, 20}, {0, 0}}, true}};
  CHECK(holes_in(buffer(square, 1)) == 1);
  CHECK(buffer({}, 1).empty());
  CHECK(area_of(buffer({{{{5, 5}}, false}}, 3)) == Approx(kPi * 9).epsilon(2e-3));
}

TEST_CASE("rings nested many deep come back whole") {
  std::vector<Region> rings;
  for (int i = 0; i < 12; ++i) {
    const double r = 60 - 5.0 * i;
    rings.push_back(
        subtract(region_of({Ring{{-r, -r}, {r, -r}, {r, r}, {-r, r}}}, FillRule::nonzero),
                 region_of({Ring{{2 - r, 2 - r}, {r - 2, 2 - r}, {r - 2, r - 2}, {2 - r, r - 2}}}, FillRule::nonzero)));
  }
  const Region all = unite(rings);
  CHECK(parts_of(all).size() == 12);
  CHECK(holes_in(all) == 12);
  CHECK(holes_in(offset(all, 0.5)) == 12);
  CHECK(parts_of(offset(all, 2)).size() == 1);
}

TEST_CASE("slivers go and the rest stays") {
  const Region square = region_of({Ring{{0, 0}, {40, 0}, {40, 40}, {0, 40}}}, FillRule::nonzero);
  const Region nearly = region_of({Ring{{0.01, 0}, {40, 0.01}, {39.99, 40}, {0, 39.99}}}, FillRule::nonzero);
  const Region left = subtract(square, nearly);
  CHECK(area_of(left) > 0);
  CHECK(without_slivers(left, 0.02).empty());
  CHECK(area_of(without_slivers(square, 0.02)) == Approx(1600).epsilon(1e-7));
  // A flag on a pole: the pole goes, the flag stays as it was.
  const Region flag = region_of({Ring{{0, 0}, {10, 0}, {10, 8}, {0.1, 8}, {0.1, 30}, {0, 30}}}, FillRule::nonzero);
  CHECK(bounds_of(without_slivers(flag, 0.3)).y1 == Approx(8).margin(0.01));
}

TEST_CASE("what is open where rings are cut") {
  const auto square = [](double x, double y, double side) {
    return Ring{{x, y}, {x + side, y}, {x + side, y + side}, {x, y + side}};
  };
  // A window, an island in it, a hole in the island.
  CHECK(area_of(openings_of({square(0, 0, 30), square(5, 5, 20), square(10, 10, 10)})) == Approx(900 - 400 + 100));
  // Two that cross fall out together, but for the island in one of them.
  CHECK(area_of(openings_of({square(0, 0, 20), square(10, 10, 20)})) == Approx(700));
  CHECK(area_of(openings_of({square(0, 0, 20), square(10, 10, 20), square(2, 2, 5)})) == Approx(675));
  // In any direction, and such as are elsewhere stay as they are.
  Ring turned = square(10, 10, 20);
  std::reverse(turned.begin(), turned.end());
  CHECK(area_of(openings_of({square(0, 0, 20), turned, square(50, 50, 10), square(52, 52, 4)})) ==
        Approx(700 + 100 - 16));
}

TEST_CASE("lines are clipped by regions, and closed ones keep their seam whole") {
  const Region hole = region_of({Ring{{10, -5}, {20, -5}, {20, 5}, {10, 5}}}, FillRule::nonzero);
  const std::vector<Polyline> line{{{{0, 0}, {30, 0}}, false}};
  const auto outside = clip(line, hole, false), inside = clip(line, hole, true);
  REQUIRE(outside.size() == 2);
  CHECK(length_of(outside[0]) + length_of(outside[1]) == Approx(20));
  REQUIRE(inside.size() == 1);
  CHECK(length_of(inside[0]) == Approx(10));
  // The square starts at a corner that stays: the cut opens it into one line, not two.
  const std::vector<Polyline> square{{{{0, -20}, {30, -20}, {30, 0}, {0, 0}, {0, -20}}, true}};
  const auto opened = clip(square, hole, false);
  REQUIRE(opened.size() == 1);
  CHECK_FALSE(opened[0].closed);
  CHECK(length_of(opened[0]) == Approx(90));
  CHECK(clip(square, region_of({Ring{{100, 100}, {101, 100}, {101, 101}}}, FillRule::nonzero), false)[0].closed);
}

namespace {

/// The farthest that either of two sets of polylines is from the other, mm.
double hausdorff(const Path& curves, const Region& region) {
  double worst = 0;
  std::vector<Polyline> fine;
  for (const auto& c : curves.contours) fine.push_back(flatten(c, 1e-4));
  REQUIRE(fine.size() == region.rings.size());
  for (std::size_t i = 0; i < fine.size(); ++i) {
    const auto polyline = as_polyline(region.rings[i]);
    for (const Vec p : fine[i].points) worst = std::max(worst, distance_to(polyline, p));
    for (std::size_t k = 1; k < polyline.points.size(); ++k) {
      for (const double t : {0.0, 0.5})
        worst = std::max(worst, distance_to(fine[i], lerp(polyline.points[k - 1], polyline.points[k], t)));
    }
  }
  return worst;
}

}  // namespace

TEST_CASE("refitted curves stay within ten micrometres of what was fitted") {
  for (const auto& c : shape_cases()) {
    if (c.dense) continue;
    INFO(c.name);
    const Region a = region_of(c.subject, c.rule);
    for (const Region& region : {a, offset(a, c.by), offset(a, -c.by), subtract(a, region_of(c.clip, c.rule))}) {
      CHECK(hausdorff(refit(region), region) <= kRefit);
    }
  }
}

TEST_CASE("corners and straight lines come back exactly") {
  const Region square = region_of({Ring{{0, 0}, {40, 0}, {40, 25}, {0, 25}}}, FillRule::nonzero);
  const Path path = refit(square);
  REQUIRE(path.contours.size() == 1);
  CHECK(path.contours[0].segments.size() == 4);
  for (const auto& s : path.contours[0].segments) CHECK(s.straight);
  CHECK(enclosed_area_of(path) == Approx(1000).epsilon(1e-12));
  // A rounded rectangle: four lines, four quarter rounds.
  CHECK(segment_count(refit(offset(square, 3))) == 8);
}

TEST_CASE("ten alternating offsets do not swell the nodes") {
  for (const char* d : {"M20 0 A20 20 0 0 1 -20 0 A20 20 0 0 1 20 0 Z", "M0 0 H40 V25 H0 Z",
                        "M0 0 C10 -20 30 -20 40 0 C50 20 30 40 20 60 C10 40 -10 20 0 0 Z",
                        "M60 0 A60 9 0 0 1 -60 0 A60 9 0 0 1 60 0 Z"}) {
    const Path start = *parse_path_data(d);
    Path path = refit(region_of(with_meeting_ends_closed(start)));
    const std::size_t before = segment_count(path);
    const double area = enclosed_area_of(path);
    for (int i = 0; i < 10; ++i) path = refit(offset(region_of(path), i % 2 ? -1.0 : 1.0));
    INFO(d << ": " << before << " nodes, then " << segment_count(path));
    CHECK(segment_count(path) <= 2 * before);
    CHECK(enclosed_area_of(path) == Approx(area).epsilon(0.005));
  }
}

TEST_CASE("ten alternating offsets of lettering leave at most twice the nodes") {
  std::ifstream in(DOTLANE_TEST_DATA "/shape/lettering.json");
  const auto json = nlohmann::json::parse(in);
  Path path = refit(region_of(with_meeting_ends_closed(*parse_path_data(json["subject"].get<std::string>()))));
  const std::size_t before = segment_count(path);
  for (int i = 0; i < 10; ++i) path = refit(offset(region_of(path), i % 2 ? -0.3 : 0.3));
  INFO(before << " nodes, then " << segment_count(path));
  CHECK(segment_count(path) <= 2 * before);
}

TEST_CASE("shrunk by more than it is wide, a smooth shape vanishes instead of turning inside out") {
  auto disc = [](double radius, Vec at, int n) {
    Ring ring;
    for (int i = 0; i < n; ++i)
      ring.push_back(at + Vec{std::cos(2 * 3.14159265358979 * i / n), std::sin(2 * 3.14159265358979 * i / n)} * radius);
    return region_of({ring}, FillRule::nonzero);
  };
  for (const int n : {24, 200, 2000}) {
    for (const Corners corners : {Corners::round, Corners::mitre, Corners::bevel}) {
      CHECK(offset(disc(10, {}, n), -9.9, {corners, 4, 0.002}).rings.size() == 1);
      for (const double by : {10.01, 10.5, 12.0, 15.0, 19.0, 30.0})
        CHECK(offset(disc(10, {}, n), -by, {corners, 4, 0.002}).empty());
    }
    // A large and a small bulge with a broad neck: only the large one is left.
    const Region bell = unite({disc(9, {}, n), disc(4, {20, 0}, n),
                               region_of({{{0, -3.5}, {20, -3.5}, {20, 3.5}, {0, 3.5}}}, FillRule::nonzero)});
    for (const double by : {4.5, 5.5, 7.0, 8.5}) {
      const Region shrunk = offset(bell, -by);
      INFO(n << " by " << by);
      CHECK(shrunk.rings.size() == 1);
      const Figures theirs = geos_offset(bell, -by, Corners::round, 4, 64);
      CHECK(area_of(shrunk) == Approx(theirs.area).epsilon(1e-3).margin(0.01));
    }
  }
}

}  // namespace dotlane::test
