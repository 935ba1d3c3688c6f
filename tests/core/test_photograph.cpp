// Scraps on a photograph: a mat rendered with known perspective gives their outlines back, and the shelf takes them.
#include "core/layout/photograph.hpp"
#include "core/layout/room.hpp"

#include "chance.hpp"
#include "core/geometry/geos.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/shelf.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

constexpr double kMat = 304.8;

/// A photograph of the mat with things on it: perspective by its corners, light falling off, grain, a table around.
Picture photograph(const Quad& corners, const std::vector<std::pair<Region, Color>>& things, Color mat, int width,
                   int height, unsigned seed) {
  const auto to_mat = homography(corners, {Vec{0, 0}, {kMat, 0}, {kMat, kMat}, {0, kMat}});
  REQUIRE(to_mat);
  Chance chance(seed);
  std::vector<Box> boxes;
  for (const auto& thing : things) boxes.push_back(bounds_of(thing.first));
  Picture out{width, height, {}};
  for (int y = 0; y < height; ++y) {
    for (int x = 0; x < width; ++x) {
      double sum[3] = {0, 0, 0};
      for (const Vec part : {Vec{0.25, 0.25}, Vec{0.75, 0.25}, Vec{0.25, 0.75}, Vec{0.75, 0.75}}) {
        const Vec mm = (*to_mat)({x + part.x, y + part.y});
        Color c{92, 70, 52};
        if (mm.x >= 0 && mm.y >= 0 && mm.x <= kMat && mm.y <= kMat) {
          c = mat;
          if (std::fmod(mm.x, 25.4) < 0.3 || std::fmod(mm.y, 25.4) < 0.3) c = {178, 196, 184};  // its printed grid
          for (std::size_t i = 0; i < things.size(); ++i) {
            if (boxes[i].contains(mm) && encloses(things[i].first, mm)) c = things[i].second;
          }
        }
        const double light = 0.82 + 0.25 * x / width - 0.08 * y / height;
        sum[0] += c.r * light / 4, sum[1] += c.g * light / 4, sum[2] += c.b * light / 4;
      }
      const double grain = chance.between(-5, 5);
      for (const double v : sum) out.rgb.push_back(static_cast<std::uint8_t>(std::clamp(v + grain, 0.0, 255.0)));
    }
  }
  return out;
}

Region polygon(std::initializer_list<Vec> corners) { return region_of({Ring(corners)}, FillRule::evenodd); }

/// How far the outlines are from each other at the most (Hausdorff, by GEOS).
double farthest(const Region& a, const Region& b) {
  Geos geos;
  const auto x = geos.polygons(dotlane::parts_of(a)), y = geos.polygons(dotlane::parts_of(b));
  auto bx = geos.own(GEOSBoundary_r(*geos, x.get())), by = geos.own(GEOSBoundary_r(*geos, y.get()));
  double d = 1e9;
  REQUIRE(GEOSHausdorffDistanceDensify_r(*geos, bx.get(), by.get(), 0.02, &d) == 1);
  return d;
}

}  // namespace

TEST_CASE("four points give the one map between them, and none where they cannot") {
  const Quad unit{Vec{0, 0}, {1, 0}, {1, 1}, {0, 1}};
  // A worked example: the unit square onto a trapezoid; its diagonals meet where those of the square do.
  const Quad trapezoid{Vec{0, 0}, {4, 0}, {3, 2}, {1, 2}};
  const auto map = homography(unit, trapezoid);
  REQUIRE(map);
  for (std::size_t i = 0; i < 4; ++i) CHECK(distance((*map)(unit[i]), trapezoid[i]) < 1e-12);
  const Vec meet = (*map)({0.5, 0.5});  // of (0,0)-(3,2) and (4,0)-(1,2): x = 2, y = 4/3
  CHECK(distance(meet, {2, 4.0 / 3}) < 1e-12);
  const auto back = homography(trapezoid, unit);
  CHECK(distance((*back)(meet), {0.5, 0.5}) < 1e-12);
  CHECK_FALSE(homography(unit, {Vec{0, 0}, {1, 0}, {2, 0}, {0, 1}}));  // three in a line
  CHECK_FALSE(homography(unit, {Vec{0, 0}, {1, 1}, {1, 0}, {0, 1}}));  // crossed
}

TEST_CASE("a photograph of a mat with known perspective gives the scraps' outlines within 1 mm") {
  const Region corner = polygon({{40, 50}, {170, 44}, {172, 100}, {96, 104}, {92, 190}, {38, 186}});
  const Region strip = polygon({{200, 60}, {262, 82}, {232, 214}, {186, 200}});
  Region frame = polygon({{60, 210}, {150, 216}, {146, 280}, {58, 276}});
  frame = subtract(frame, polygon({{85, 230}, {125, 232}, {123, 262}, {84, 260}}));
  const std::vector<std::pair<Region, Color>> things{
      {corner, {44, 74, 104}}, {strip, {214, 152, 60}}, {frame, {240, 238, 230}}};
  const Quad corners{Vec{212, 118}, {1204, 96}, {1388, 1082}, {66, 1120}};
  const Picture photo = photograph(corners, things, {142, 176, 158}, 1480, 1200, 5);
  const double px_per_mm = 4;
  const Picture mat = rectified(photo, corners, kMat, kMat, px_per_mm);
  CHECK(mat.width == static_cast<int>(std::lround(kMat * px_per_mm)));
  const auto found = things_on(mat, px_per_mm);
  REQUIRE(found.size() == 3);
  for (const auto& [region, color] : things) {
    double best = 1e9;
    for (const auto& other : found) best = std::min(best, farthest(region, other));
    CHECK(best < 1);
  }
  const ShelfItem item = scrap_of(found.back(), "amber", "photograph");
  CHECK(item.outline.size() == 2);  // the frame with its hole
  CHECK(item.width_mm == Approx(92).margin(1.5));
}

TEST_CASE("an empty mat has nothing on it, and corners that will not do give no picture") {
  const Quad corners{Vec{110, 60}, {690, 70}, {760, 640}, {40, 620}};
  const Picture photo = photograph(corners, {}, {142, 176, 158}, 800, 700, 9);
  CHECK(things_on(rectified(photo, corners, kMat, kMat, 3), 3).empty());
  CHECK(rectified(photo, {Vec{0, 0}, {10, 10}, {20, 20}, {0, 20}}, kMat, kMat, 3).empty());
  CHECK(rectified(Picture{}, corners, kMat, kMat, 3).empty());
}

TEST_CASE("outlines are typed, read back as typed, and refused with the reason") {
  const auto area = outline_from("0,0 120,0 120,80 60,140 0,140; 20,20 40,20 40,40 20,40");
  REQUIRE(area);
  CHECK(area_of(*area) == Approx(120 * 140 - 60 * 60 / 2.0 - 400));
  const ShelfItem item = scrap_of(*area, "night", "");
  CHECK(item.outline.size() == 2);
  const auto again = outline_from(text_of(item.outline));
  REQUIRE(again);
  CHECK(area_of(*again) == Approx(area_of(*area)));
  for (const char* bad : {"", "0,0 10,0", "0,0 10,0 10", "0,0 a,1 2,3", "0,0 10,0 20,0", "0,0 9000,0 5,5"}) {
    INFO(bad);
    const auto refused = outline_from(bad);
    REQUIRE_FALSE(refused);
    CHECK(sentence(refused.error().said).find("0,0 120,0") != std::string::npos);
  }
}

TEST_CASE("what is left of a sheet is all that is free, and a later project lays its parts on it") {
  Project p = project_of(R"(<path d="M20 20 h120 v120 h-120 z"/>)");
  p.sheets[0].area = Box::of(10, 10, 280, 280);
  p.sheets[0].window = {10, 10};
  p.laying.gap_mm = 3;
  const Derived d = derived(p);
  const Region rest = rest_of(p, d.drawing, d.layout, p.sheets[0]);
  // The square and 3 mm around it (round corners), and a strip of 7 mm at its left and top that is too narrow.
  CHECK(area_of(rest) == Approx(280 * 280 - 133.0 * 133 + (1 - std::numbers::pi / 4) * 9).epsilon(2e-3));
  Project kept = keep_rest(keep_offcut(p, d.drawing, d.layout, p.sheets[0].id), d.drawing, d.layout, p.sheets[0].id);
  REQUIRE(kept.shelf.size() == 2);
  CHECK(kept.shelf[0].width_mm * kept.shelf[0].height_mm > 140 * 270);
  CHECK_FALSE(kept.shelf[1].outline.empty());
  CHECK(project_from_json(to_json(kept), "kept").value() == kept);
  Project later = take_shelf(project_of(R"(<path d="M20 20 h100 v100 h-100 z"/>)"), kept);
  CHECK(later.shelf.size() == 2);
  CHECK(take_shelf(later, kept).shelf.size() == 2);
  const Derived now = derived(later);
  const Project packed = nest_all(later, now.drawing, now.layout, nest_options(later), 0).project;
  REQUIRE(packed.sheets.size() == 1);
  CHECK(packed.sheets[0].shelf != 0);
}

TEST_CASE("the rest of a mirrored job is kept as it really lies, and fits the same way round again") {
  Project p = project_of(R"(<path d="M20 20 h120 v40 h-80 v80 h-40 z"/>)");
  p.sheets[0].area = Box::of(10, 10, 280, 280);
  p.sheets[0].window = {10, 10};
  p.plan.mirrored = true;
  const Derived d = derived(p);
  const Region rest = rest_of(p, d.drawing, d.layout, p.sheets[0]);
  const Project kept = keep_rest(p, d.drawing, d.layout, p.sheets[0].id);
  REQUIRE(kept.shelf.size() == 1);
  const Region outline = region_of(kept.shelf[0].outline, FillRule::evenodd);
  const Box was = bounds_of(rest), box = bounds_of(outline);
  CHECK(box.width() == Approx(was.width()).margin(0.2));
  // In its box, left and right are exchanged; outlines on the shelf are thinned to a tenth of a millimetre.
  const Region mirrored = transformed(rest, Affine::move(was.x1, -was.y0) * Affine::scale(-1, 1));
  const auto differ = [](const Region& a, const Region& b) {
    return area_of(subtract(a, b)) + area_of(subtract(b, a));
  };
  CHECK(differ(outline, mirrored) < 0.2 * perimeter_of(mirrored));
  CHECK(differ(outline, transformed(rest, Affine::move(-was.x0, -was.y0))) > 1000);
  // Laid for a mirrored job again, the tools find what they left.
  Project later = take_shelf(p, kept);
  later = lay_from_shelf(later, later.shelf[0].id);
  const Sheet& scrap = later.sheets.back();
  const Region there = area_of(later, scrap);
  const Vec by = Vec{scrap.area.x0, scrap.area.y0} - Vec{was.x0, was.y0};
  CHECK(differ(there, transformed(rest, Affine::move(by.x, by.y))) < 0.2 * perimeter_of(rest));
}
