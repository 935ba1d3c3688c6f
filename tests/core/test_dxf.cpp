// DXF in: entities, units, blocks, colours, what is wrong in a file; B-splines against de Boor's own points.
#include "core/format/dxf_reader.hpp"

#include <random>

#include "core/format/artwork_reader.hpp"
#include "core/format/chained.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/nurbs.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// Groups as "code value" lines, as text of a file.
std::string dxf(const std::string& entities, const std::string& before = {}, int units = 4) {
  std::string groups = "0 SECTION\n2 HEADER\n9 $INSUNITS\n70 " + std::to_string(units) + "\n0 ENDSEC\n" + before +
                       "0 SECTION\n2 ENTITIES\n" + entities + "0 ENDSEC\n0 EOF\n";
  std::string out;
  std::istringstream in(groups);
  for (std::string line; std::getline(in, line);) {
    const auto space = line.find(' ');
    out += line.substr(0, space) + "\n" + (space == std::string::npos ? "" : line.substr(space + 1)) + "\n";
  }
  return out;
}

Artwork art_of(const std::string& entities, const std::string& before = {}, int units = 4) {
  auto art = read_dxf(dxf(entities, before, units), "test.dxf");
  if (!art) FAIL(line_of(art.error()));
  return std::move(*art);
}

double length_of(const Artwork& art) {
  double out = 0;
  for (const auto& line : art.lines) out += dotlane::length_of(line.path);
  return out;
}

bool notes(const Artwork& art, const char* code) {
  return std::any_of(art.notes.begin(), art.notes.end(), [&](const Finding& f) { return f.code == code; });
}

constexpr const char* kSquare =
    "0 LINE\n8 cut\n10 0\n20 0\n11 40\n21 0\n"
    "0 LINE\n8 cut\n10 40\n20 30\n11 40\n21 0\n"
    "0 LINE\n8 cut\n10 40\n20 30\n11 0\n21 30\n"
    "0 LINE\n8 cut\n10 0\n20 30\n11 0\n21 0\n";

}  // namespace

TEST_CASE("lines that meet become one closed outline, y down from the top of the drawing") {
  const Artwork art = art_of(std::string(kSquare) + "0 LINE\n8 cut\n10 10\n20 20\n11 20\n21 20\n");
  REQUIRE(art.lines.size() == 2);
  const Contour& square = art.lines[0].path.contours.front();
  CHECK(square.closed);
  CHECK(square.segments.size() == 4);
  CHECK(art.lines[0].layer == "cut");
  CHECK(art.width_mm == Approx(40));
  CHECK(art.height_mm == Approx(30));
  // 20 from below is 10 from the top.
  CHECK(art.lines[1].path.contours.front().start.y == Approx(10));
  CHECK(art.unit_source == UnitSource::stated);
  // Three that meet in one place are left as they are.
  CHECK(art_of(std::string(kSquare) + "0 LINE\n8 cut\n10 0\n20 0\n11 -9\n21 -9\n").lines.size() == 2);
  // Of another layer, so are two.
  CHECK(art_of("0 LINE\n8 a\n10 0\n20 0\n11 9\n21 0\n0 LINE\n8 b\n10 9\n20 0\n11 9\n21 9\n").lines.size() == 2);
}

TEST_CASE("sizes by every unit, and none is asked about") {
  for (const auto& [unit, mm] :
       {std::pair{1, 25.4}, {2, 304.8}, {4, 1.0}, {5, 10.0}, {6, 1000.0}, {9, 0.0254}, {13, 0.001}}) {
    const Artwork art = art_of(kSquare, {}, unit);
    CHECK(art.width_mm == Approx(40 * mm));
    CHECK(art.unit_source == UnitSource::stated);
    CHECK_FALSE(notes(art, "size-assumed"));
  }
  const Artwork none = art_of(kSquare, {}, 0);
  CHECK(none.width_mm == Approx(40));
  CHECK(none.unit_source == UnitSource::assumed);
  REQUIRE(notes(none, "size-assumed"));
  CHECK(sentence(none.notes.front(), LengthUnit::mm).find("no unit") != std::string::npos);
  // Second look offers millimetres, centimetres, inches, and each fix does that.
  Project p = new_project("units");
  int id = 0;
  p = add_artwork(std::move(p), none, "test.dxf", &id);
  const Derived d = derived(p);
  const auto at =
      std::find_if(d.findings.begin(), d.findings.end(), [](const Finding& f) { return f.code == "size-assumed"; });
  REQUIRE(at != d.findings.end());
  REQUIRE(at->fixes.size() == 3);
  CHECK(label(at->fixes[2], LengthUnit::mm).starts_with("Units are in: "));
  const Project inches = apply_fix(p, d.drawing, *at, at->fixes[2]);
  CHECK(drawn(inches).pieces.front()->bounds.width() == Approx(40 * 25.4));
}

TEST_CASE("arcs, circles, ellipses and bulges have the lengths that geometry gives them") {
  constexpr double kPi = 3.14159265358979323846;
  CHECK(length_of(art_of("0 CIRCLE\n10 5\n20 5\n40 10\n")) == Approx(20 * kPi).epsilon(5e-5));
  CHECK(length_of(art_of("0 ARC\n10 5\n20 5\n40 10\n50 30\n51 150\n")) == Approx(20 * kPi / 3).epsilon(5e-5));
  CHECK(length_of(art_of("0 ARC\n10 5\n20 5\n40 10\n50 300\n51 60\n")) == Approx(20 * kPi / 3).epsilon(5e-5));
  CHECK(length_of(art_of("0 ARC\n10 5\n20 5\n40 10\n50 10\n51 350\n")) == Approx(20 * kPi * 340 / 360).epsilon(5e-5));
  // The perimeter of an ellipse 20 by 10 is 48.4422 (complete elliptic integral of the second kind).
  const Artwork ellipse = art_of("0 ELLIPSE\n10 0\n20 0\n11 0\n21 10\n40 0.5\n41 0\n42 6.283185307179586\n");
  CHECK(length_of(ellipse) == Approx(48.4422410).epsilon(5e-5));
  CHECK(ellipse.width_mm == Approx(10).epsilon(1e-4));
  CHECK(ellipse.height_mm == Approx(20).epsilon(1e-4));
  CHECK(length_of(art_of("0 ELLIPSE\n10 0\n20 0\n11 10\n21 0\n40 0.5\n41 0\n42 1.5707963267948966\n")) ==
        Approx(48.4422410 / 4).epsilon(5e-5));
  // A bulge of 1 is half a circle, of tan(22.5 deg) a quarter; two half circles make a whole one.
  const Artwork round = art_of("0 LWPOLYLINE\n90 2\n70 1\n10 0\n20 0\n42 1\n10 20\n20 0\n42 1\n");
  REQUIRE(round.lines.size() == 1);
  CHECK(round.lines[0].path.contours[0].closed);
  CHECK(length_of(round) == Approx(20 * kPi).epsilon(5e-5));
  CHECK(round.height_mm == Approx(20).epsilon(1e-4));
  const Artwork quarter = art_of("0 LWPOLYLINE\n70 0\n10 0\n20 0\n42 0.41421356237309503\n10 10\n20 10\n");
  CHECK(length_of(quarter) == Approx(5 * kPi).epsilon(5e-5));
  const Artwork other = art_of("0 LWPOLYLINE\n70 0\n10 0\n20 0\n42 -2\n10 10\n20 0\n");
  // Bulge 2: 4 atan 2 of a circle with radius 10 (1 + 4) / 8.
  CHECK(length_of(other) == Approx(4 * std::atan(2.0) * 6.25).epsilon(5e-5));
  const Artwork old = art_of(
      "0 POLYLINE\n70 1\n0 VERTEX\n10 0\n20 0\n42 1\n0 VERTEX\n10 20\n20 0\n42 1\n0 VERTEX\n10 3\n20 3\n70 16\n0 "
      "SEQEND\n");
  CHECK(length_of(old) == Approx(20 * kPi).epsilon(5e-5));
}

TEST_CASE("blocks: nested, turned, sized, in rows, with layers and colours by layer and block") {
  const std::string tables =
      "0 SECTION\n2 TABLES\n0 TABLE\n2 LTYPE\n0 LTYPE\n2 DASHED\n73 2\n0 ENDTAB\n0 TABLE\n2 LAYER\n0 LAYER\n2 fold\n62 "
      "5\n6 "
      "DASHED\n0 LAYER\n2 off\n62 -3\n0 LAYER\n2 frozen\n62 3\n70 1\n0 LAYER\n2 cut\n62 1\n0 ENDTAB\n0 ENDSEC\n";
  const std::string blocks =
      "0 SECTION\n2 BLOCKS\n0 BLOCK\n2 bar\n10 1\n20 1\n0 LINE\n8 0\n62 0\n10 1\n20 1\n11 11\n21 1\n0 LINE\n8 fold\n10 "
      "1\n20 "
      "2\n11 11\n21 2\n0 ENDBLK\n0 BLOCK\n2 pair\n0 INSERT\n2 bar\n8 0\n62 0\n10 0\n20 0\n0 INSERT\n2 bar\n8 cut\n10 "
      "0\n20 50\n50 "
      "90\n0 ENDBLK\n0 ENDSEC\n";
  const Artwork art = art_of("0 INSERT\n2 pair\n8 cut\n62 3\n10 100\n20 0\n41 2\n42 2\n", tables + blocks);
  REQUIRE(art.lines.size() == 4);
  // The bar on layer 0 takes the layer and, by block, the colour of what it was put in with.
  CHECK(art.lines[0].layer == "cut");
  CHECK(*art.lines[0].stroke == Color{0, 255, 0});
  CHECK(art.lines[1].layer == "fold");
  CHECK(*art.lines[1].stroke == Color{0, 0, 255});
  CHECK(art.lines[1].dashed);
  CHECK_FALSE(art.lines[0].dashed);
  CHECK(*art.lines[2].stroke == Color{255, 0, 0});                                        // by its own layer
  for (const auto& line : art.lines) CHECK(dotlane::length_of(line.path) == Approx(20));  // twice as large
  // The second one stands upright.
  CHECK(bounds_of(art.lines[2].path).width() == Approx(0).margin(1e-9));
  const Artwork rows = art_of("0 INSERT\n2 bar\n8 cut\n10 0\n20 0\n70 3\n71 2\n44 20\n45 30\n", tables + blocks);
  CHECK(rows.lines.size() == 12);
  CHECK(rows.width_mm == Approx(50));
  CHECK(rows.height_mm == Approx(31));
  // Mirrored by its direction: x runs the other way.
  const Artwork mirrored = art_of("0 LWPOLYLINE\n10 0\n20 0\n10 10\n20 0\n10 10\n20 5\n210 0\n220 0\n230 -1\n");
  CHECK(mirrored.lines[0].path.contours[0].start.x == Approx(10));
  const Artwork hidden = art_of(
      "0 LINE\n8 off\n11 5\n0 LINE\n8 frozen\n11 5\n0 LINE\n8 cut\n60 1\n11 5\n0 LINE\n8 cut\n67 1\n11 5\n", tables);
  CHECK(hidden.lines.empty());
  CHECK(notes(hidden, "hidden-left-out"));
}

TEST_CASE("what is no outline is reported, what is wrong is told with its line, nothing crashes") {
  const Artwork art = art_of(
      "0 TEXT\n10 0\n20 0\n40 5\n1 Harbour\n0 POINT\n10 0\n20 0\n0 IMAGE\n10 0\n0 HATCH\n8 x\n0 DIMENSION\n8 x\n0 "
      "INSERT\n2 nowhere\n0 "
      "CIRCLE\n10 0\n20 0\n40 -3\n0 LINE\n10 0\n20 0\n11 7\n21 0\n");
  CHECK(art.lines.size() == 1);
  for (const char* code :
       {"text-left-out", "dots-left-out", "image-left-out", "kinds-left-out", "use-lost", "attribute-ignored"}) {
    INFO(code);
    CHECK(notes(art, code));
  }
  for (const auto& note : art.notes) CHECK_FALSE(sentence(note, LengthUnit::mm).empty());
  const auto refused = [](const std::string& bytes) {
    const auto read = read_artwork(bytes, "hurt.dxf");
    REQUIRE_FALSE(read);
    CHECK(line_of(read.error()).starts_with("hurt.dxf"));
    CHECK(line_of(read.error()).find('\n') == std::string::npos);
    return line_of(read.error());
  };
  CHECK(refused("0\nSECTION\n2\nENTITIES\nzero\nLINE\n").find(":5:") != std::string::npos);
  CHECK(refused("0\nSECTION\n2").find("cut short") != std::string::npos);
  CHECK(refused("0\nEOF\n").find("no section") != std::string::npos);
  CHECK(refused(std::string("Some Binary DXF\r\n\x1a") + '\0').find("binary") != std::string::npos);
  const std::string endless =
      "0 SECTION\n2 BLOCKS\n0 BLOCK\n2 a\n0 INSERT\n2 b\n0 ENDBLK\n0 BLOCK\n2 b\n0 INSERT\n2 a\n0 ENDBLK\n0 ENDSEC\n";
  CHECK(refused(dxf("0 INSERT\n2 a\n", endless)).find("contains itself") != std::string::npos);
  std::string bomb = "0 SECTION\n2 BLOCKS\n";
  for (int i = 0; i < 9; ++i) {
    bomb += "0 BLOCK\n2 b" + std::to_string(i) + "\n";
    for (int k = 0; k < 10; ++k) bomb += "0 INSERT\n2 b" + std::to_string(i + 1) + "\n";
    bomb += "0 ENDBLK\n";
  }
  bomb += "0 BLOCK\n2 b9\n0 LINE\n11 5\n0 ENDBLK\n0 ENDSEC\n";
  CHECK(refused(dxf("0 INSERT\n2 b0\n", bomb)).find("add up to more") != std::string::npos);
  CHECK(refused(dxf("0 INSERT\n2 a\n70 32767\n71 32767\n",
                    "0 SECTION\n2 BLOCKS\n0 BLOCK\n2 a\n0 LINE\n11 5\n0 ENDBLK\n0 ENDSEC\n"))
            .find("add up to more") != std::string::npos);
  // Damaged at random: read, or refused with one line.
  const std::string sound =
      dxf(std::string(kSquare) +
              "0 SPLINE\n71 3\n40 0\n40 0\n40 0\n40 0\n40 1\n40 1\n40 1\n40 1\n10 0\n20 0\n10 1\n20 5\n10 5\n20 5\n10 "
              "6\n20 0\n"
              "0 LWPOLYLINE\n70 1\n10 0\n20 0\n42 1\n10 20\n20 0\n42 1\n0 ELLIPSE\n11 4\n40 0.5\n0 INSERT\n2 a\n",
          "0 SECTION\n2 BLOCKS\n0 BLOCK\n2 a\n0 CIRCLE\n40 5\n0 ENDBLK\n0 ENDSEC\n");
  std::mt19937 random(4);
  for (int round = 0; round < 3000; ++round) {
    std::string hurt = sound;
    const int wounds = 1 + static_cast<int>(random() % 4);
    for (int k = 0; k < wounds; ++k) {
      const std::size_t at = random() % hurt.size();
      switch (random() % 4) {
        case 0:
          hurt[at] = static_cast<char>(random());
          break;
        case 1:
          hurt.erase(at, 1 + random() % 9);
          break;
        case 2:
          hurt.insert(at, std::to_string(static_cast<int>(random())) + "\n");
          break;
        default:
          hurt.resize(at);
      }
      if (hurt.empty()) hurt = "0";
    }
    const auto read = read_dxf(hurt, "hurt.dxf");
    if (!read) {
      CHECK(line_of(read.error()).find("hurt.dxf") == 0);
      continue;
    }
    for (const auto& line : read->lines) {
      for (const auto& contour : line.path.contours) REQUIRE(is_finite(contour.start));
    }
  }
}

TEST_CASE("B-splines: their cubic segments run through de Boor's points, whatever knots, degree and weights") {
  std::mt19937 random(7);
  std::uniform_real_distribution<double> place(0, 100), weight(0.3, 3);
  for (int round = 0; round < 120; ++round) {
    Nurbs curve;
    curve.degree = 1 + round % 5;
    const int n = curve.degree + 1 + static_cast<int>(random() % 8);
    for (int i = 0; i < n; ++i) curve.control.push_back({place(random), place(random)});
    const bool clamped = round % 2 == 0;
    double knot = 0;
    bool doubled = false;
    for (int i = 0; i < n + curve.degree + 1; ++i) {
      const bool held = clamped && (i <= curve.degree || i > n);
      // Now and then one stands twice; where it stood oftener than the degree, the curve would tear.
      const bool twice = curve.degree > 2 && random() % 3 == 0 && i > curve.degree + 2 && i < n - 1 && !doubled;
      doubled = twice;
      if (i > 0 && !held) knot += twice ? 0 : 0.2 + weight(random);
      curve.knots.push_back(knot);
    }
    if (clamped) {
      for (int i = n; i < n + curve.degree + 1; ++i) curve.knots[static_cast<std::size_t>(i)] = knot + 1;
    }
    if (round % 4 == 3) {
      for (int i = 0; i < n; ++i) curve.weights.push_back(weight(random));
    }
    INFO("round " << round << ", degree " << curve.degree << ", " << n << " points");
    const auto course = course_of(curve, 0.005);
    REQUIRE(course);
    const Polyline flat = flatten(*course, 1e-4);
    const double from = curve.knots[static_cast<std::size_t>(curve.degree)],
                 to = curve.knots[static_cast<std::size_t>(n)];
    CHECK(distance(course->start, point_of(curve, from)) < 1e-6);
    for (int k = 0; k <= 200; ++k) {
      const Vec p = point_of(curve, from + (to - from) * k / 200);
      double nearest = 1e9;
      for (std::size_t i = 1; i < flat.points.size(); ++i) {
        const Vec a = flat.points[i - 1], b = flat.points[i], ab = b - a;
        const double len = dot(ab, ab);
        const double t = len > 0 ? std::clamp(dot(p - a, ab) / len, 0.0, 1.0) : 0;
        nearest = std::min(nearest, distance(p, a + ab * t));
      }
      CHECK(nearest < 0.01);
    }
  }
  CHECK_FALSE(course_of({1, {0, 0, 1, 1, 2, 2}, {{0, 0}, {1, 1}, {5, 0}, {6, 1}}}, 0.01));        // torn apart
  CHECK_FALSE(course_of({3, {0, 0, 0, 0, 1, 1, 1}, {{0, 0}, {1, 1}, {2, 0}, {3, 1}}}, 0.01));     // a knot too few
  CHECK_FALSE(course_of({3, {0, 0, 0, 0, 0, 0, 0, 0}, {{0, 0}, {1, 1}, {2, 0}, {3, 1}}}, 0.01));  // no domain
  CHECK_FALSE(course_of({1, {0, 0, 1, 1}, {{0, 0}, {1, 1}}, {1, 0}}, 0.01));                      // no weight
  CHECK_FALSE(course_of({2, {0, 0, 1, 0, 1, 1}, {{0, 0}, {1, 1}, {2, 2}}}, 0.01));                // falling knots
}

TEST_CASE("a smooth curve through points passes them all without a corner") {
  const std::vector<Vec> points{{0, 0}, {30, 10}, {50, -10}, {80, 5}, {90, 40}};
  for (const bool closed : {false, true}) {
    const Contour curve = smooth_through(points, closed);
    REQUIRE(curve.segments.size() == (closed ? 5 : 4));
    Vec at = curve.start;
    for (std::size_t i = 0; i < curve.segments.size(); ++i) {
      const Segment& s = curve.segments[i];
      CHECK(distance(s.end, points[(i + 1) % points.size()]) < 1e-9);
      const std::size_t next = (i + 1) % curve.segments.size();
      if (next == 0 && !closed) break;
      const Vec in = s.end - s.c2, out = curve.segments[next].c1 - s.end;
      CHECK(std::abs(in.x * out.y - in.y * out.x) < 1e-6 * norm(in) * norm(out));
      at = s.end;
    }
  }
}

TEST_CASE("the palette of DXF: named colours, hues, greys, and the nearest of each is itself") {
  CHECK(dxf_color(1) == Color{255, 0, 0});
  CHECK(dxf_color(7) == Color{0, 0, 0});  // white on black screens, black on paper
  CHECK(dxf_color(10) == Color{255, 0, 0});
  CHECK(dxf_color(90) == Color{0, 255, 0});
  CHECK(dxf_color(170) == Color{0, 0, 255});
  CHECK(dxf_color(40) == Color{255, 191, 0});
  for (int i = 1; i <= 255; ++i) CHECK(dxf_color(nearest_dxf_color(dxf_color(i))) == dxf_color(i));
}
