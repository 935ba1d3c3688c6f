// Lettering as a source: how it is set, what stays when it is edited, how its letters join and what is said of them.
#include "core/check/checks.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/centre_line.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/text/typefaces.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

using Text = std::string;
constexpr double kPi = 3.14159265358979323846;

Values words(const std::string& text, Values more = {}) {
  more["text"] = text;
  return more;
}

Box box_of(const Lettering& lettering) {
  Box box;
  for (const auto& letter : lettering.letters) box.add(bounds_of(placed(letter)));
  return box;
}

Project lettered(const Values& values, bool join, int* id = nullptr) {
  int made = 0;
  auto p = add_shape(new_project("fair"), "lettering", values, &made);
  if (!p) FAIL(line_of(p.error()));
  if (join) {
    Step step;
    step.kind = "join";
    p = add_step(*p, made, step);
  }
  if (id) *id = made;
  return *p;
}

Path only_path(const Drawing& drawing) { return *drawing.pieces[0]->piece->lines[0].path; }

std::size_t outlines_in(const Path& path) {
  std::size_t n = 0;
  for (const auto& c : path.contours) n += signed_area_of(flatten(c, 0.01)) > 0;
  return n;
}

/// How many findings of the code there are, and whether one names these letters.
std::size_t said(const Derived& d, const std::string& code, const std::string& names = {}) {
  std::size_t n = 0;
  for (const auto& f : d.findings) n += f.code == code && sentence(f).find(names) != Text::npos;
  return n;
}

}  // namespace

TEST_CASE("lettering is as high, as far apart or as wide as asked") {
  for (const auto& t : shipped_typefaces()) {
    INFO(t.name);
    const Box h = box_of(set_lettering(words("H", {{"font", t.name}, {"size", 20.0}})));
    CHECK(-h.y0 == Approx(20).margin(0.001));
    const Values lines = words("H\nH", {{"font", t.name}, {"size", 30.0}, {"size-by", Text("line-height")}});
    const Lettering two = set_lettering(lines);
    CHECK(two.letters[1].place.f - two.letters[0].place.f == Approx(30));
    const Values wide =
        words("Harbour Fair", {{"font", t.name}, {"size", 150.0}, {"size-by", Text("width")}, {"tracking", 0.7}});
    CHECK(box_of(set_lettering(wide)).width() == Approx(150).margin(0.001));
  }
}

TEST_CASE("spacing, stretching, slanting and aligning do what they say") {
  const Values plain = words("HH", {{"font", Text("Bebas Neue Bold")}, {"size", 20.0}});
  auto with = [&](const char* key, Value v) {
    Values out = plain;
    out[key] = std::move(v);
    return set_lettering(out);
  };
  const Lettering base = set_lettering(plain);
  const double pen = base.letters[1].at;
  CHECK(with("tracking", 3.0).letters[1].at == Approx(pen + 3));
  CHECK(with("stretch", 150.0).letters[1].at == Approx(pen * 1.5));
  CHECK(box_of(with("stretch", 150.0)).height() == Approx(20).margin(0.01));
  // A slant of 20 degrees leans the right edge over by the height's tangent.
  CHECK(box_of(with("slant", 20.0)).width() ==
        Approx(box_of(base).width() + 20 * std::tan(20 * kPi / 180)).margin(0.01));
  const Values two = words("HHHH\nH", {{"font", Text("Bebas Neue Bold")}, {"size", 20.0}});
  auto aligned = [&](const char* how) {
    Values v = two;
    v["align"] = Text(how);
    return set_lettering(v);
  };
  const double whole = aligned("left").letters[3].at + aligned("left").letters[3].advance;
  CHECK(aligned("left").letters[4].at == Approx(0));
  CHECK(aligned("centre").letters[0].at == Approx(-whole / 2));
  CHECK(aligned("right").letters[0].at == Approx(-whole));
  Values spaced = words("H H", {{"font", Text("Bebas Neue Bold")}, {"word-space", 200.0}});
  const Lettering wide = set_lettering(spaced);
  spaced["word-space"] = 100.0;
  const Lettering narrow = set_lettering(spaced);
  CHECK(wide.letters[2].at - narrow.letters[2].at == Approx(narrow.letters[1].advance));
  Values far = words("H\nH", {{"line-space", 200.0}});
  const double twice = set_lettering(far).baselines[1].down;
  far["line-space"] = 100.0;
  CHECK(twice == Approx(2 * set_lettering(far).baselines[1].down));
}

TEST_CASE("on a circle letters stand on it, heads out or in, and can spread all around") {
  for (const bool inward : {false, true}) {
    Values v = words("LANTERNS", {{"font", Text("Bebas Neue Bold")}, {"size", 10.0}, {"radius", 50.0}});
    v["way"] = Text(inward ? "inside" : "outside");
    v["align"] = Text("centre");
    const Lettering lettering = set_lettering(v);
    for (const auto& letter : lettering.letters) {
      const double own = letter.advance;
      CHECK(norm(letter.place({own / 2, 0})) == Approx(50).margin(1e-9));
      // The head lies a capital's height farther out, or in.
      CHECK(norm(letter.place({own / 2, -10})) == Approx(inward ? 40 : 60).margin(1e-9));
    }
    const Box box = box_of(lettering);
    CHECK(box.centre().x == Approx(0).margin(0.5));
    CHECK((inward ? box.y0 > 0 : box.y1 < 0));
    v["align"] = Text("spread");
    const Box around = box_of(set_lettering(v));
    CHECK(around.width() > (inward ? 90 : 110));
    CHECK(around.height() > (inward ? 80 : 100));
    // Turning it turns it.
    v["from"] = 90.0;
    const Lettering turned = set_lettering(v);
    v["from"] = 0.0;
    const Lettering upright = set_lettering(v);
    const Vec a = turned.letters[0].place({0, 0}), b = upright.letters[0].place({0, 0});
    CHECK(dot(a, b) == Approx(0).margin(1e-6));
  }
  Values small = words("A\nB\nC\nD", {{"way", Text("outside")}, {"radius", 20.0}});
  CHECK(sentence(set_lettering(small).trouble).find("circle is too small") != Text::npos);
}

TEST_CASE("single letters keep their moves when words change elsewhere") {
  Values v = words("Harbour", {{"font", Text("Roboto Slab Bold")}});
  v = with_letter_move(v, {3, 0.5, 1, -2, 10, 120});
  v = with_letterform(v, 6, "r");
  // Typed before, after and in the middle of other letters.
  CHECK(letter_moves(with_text(v, "The Harbour")).front().character == 7);
  CHECK(letter_moves(with_text(v, "Harbours")).front().character == 3);
  CHECK(letter_moves(with_text(v, "Haarbour")).front().character == 4);
  CHECK(std::get<Text>(with_text(v, "The Harbour").at("letterforms")) == "10=r");
  // The letter itself replaced: its move goes with it.
  CHECK(letter_moves(with_text(v, "Haxour")).empty());
  const Values back = with_letter_move(v, {3});
  CHECK(letter_moves(back).empty());
  // Where the letter stands: moved right and up, turned counter-clockwise about its middle, larger.
  const Lettering with = set_lettering(v),
                  without = set_lettering(words("Harbour", {{"font", Text("Roboto Slab Bold")}}));
  const Letter &moved = with.letters[3], &plain = without.letters[3];
  CHECK(moved.at == Approx(plain.at + 0.5));
  const double half = plain.advance / 2;
  const Vec was = plain.place({half, 0}), is = moved.place({half, 0});
  CHECK(is.x - was.x == Approx(1.5));
  CHECK(is.y - was.y == Approx(-2));
  const Vec way = moved.place({half + 1, 0}) - is;
  CHECK(norm(way) == Approx(1.2));
  CHECK(std::atan2(-way.y, way.x) * 180 / kPi == Approx(10));
  // The letters after it move along by the space before it alone.
  CHECK(with.letters[4].at == Approx(without.letters[4].at + 0.5));
}

TEST_CASE("a size typed anew keeps the look: spacing and moves grow along") {
  int id = 0;
  Values v = words("Fair", {{"tracking", 1.0}, {"size", 20.0}});
  v = with_letter_move(v, {2, 0.4, 0, 0, 0, 100});
  Project p = lettered(v, false, &id);
  const Box before = bounds_of_piece(p, id);
  p = *set_source_value(p, id, "size", 40.0);
  const Box after = bounds_of_piece(p, id);
  CHECK(after.width() == Approx(2 * before.width()).epsilon(1e-6));
  CHECK(Reading(*find_kind(shape_kinds(), "lettering"), find_piece(p, id)->source.values).number("tracking") == 2.0);
  // Sized by hand: the number follows, the corner stays.
  const Project larger = sized(p, id, 100, std::nullopt);
  const Box now = bounds_of_piece(larger, id);
  CHECK(now.width() == Approx(100).margin(0.003));
  CHECK(now.x0 == Approx(after.x0).margin(0.003));
  CHECK(now.y0 == Approx(after.y0).margin(0.003));
  CHECK(find_piece(larger, id)->placement.a == 1);
  // Out and in again, it is the same project.
  CHECK(*project_from_json(to_json(larger), "again") == larger);
}

TEST_CASE("what a typeface does not have is named, not drawn as a box") {
  Sayings trouble;
  const auto lines = lettering_lines(words("a\u0436b\u4e16", {{"font", Text("Dancing Script Bold")}}), trouble);
  CHECK(sentence(trouble).find("\u201c\u0436\u201d (U+0436)") != Text::npos);
  CHECK(sentence(trouble).find("U+4E16") != Text::npos);
  trouble.clear();
  const auto plain = lettering_lines(words("ab", {{"font", Text("Dancing Script Bold")}}), trouble);
  CHECK(trouble.empty());
  CHECK(lines[0].path->contours.size() == plain[0].path->contours.size());
  // A typeface that is not here: a shipped one stands in, and it says so.
  const Lettering other = set_lettering(words("ab", {{"font", Text("Nowhere Grotesk")}}));
  CHECK(other.substituted);
  CHECK(sentence(other.trouble).find("Nowhere Grotesk") != Text::npos);
  CHECK(other.letters.size() == 2);
  const Lettering form = set_lettering(words("ab", {{"letterforms", Text("1=no.such")}}));
  CHECK(sentence(form.trouble).find("no.such") != Text::npos);
  CHECK(sentence(set_lettering(words("ab", {{"features", Text("no feature at all")}})).trouble).find("no feature") !=
        Text::npos);
  // Nothing typed: nothing there, and no fault.
  Sayings none;
  CHECK(lettering_lines(words(""), none).empty());
  CHECK(none.empty());
}

TEST_CASE("carets stand before every character, in ligatures and right-to-left words too") {
  const Lettering lettering = set_lettering(words("ab\nc", {{"font", Text("Comfortaa Bold")}, {"size", 20.0}}));
  REQUIRE(lettering.carets.size() == 5);
  CHECK(lettering.carets[0].foot.x == Approx(0));
  CHECK(lettering.carets[1].foot.x == Approx(lettering.letters[1].at));
  CHECK(lettering.carets[2].foot.x > lettering.carets[1].foot.x);
  CHECK(lettering.carets[3].line == 1);
  CHECK(lettering.carets[3].foot.y > lettering.carets[0].foot.y);
  CHECK(lettering.carets[0].head.y < lettering.carets[0].foot.y);
  const Lettering ligature = set_lettering(words("office", {{"font", Text("EB Garamond 12 Italic")}}));
  CHECK(ligature.letters.size() < 6);
  for (std::size_t i = 1; i < 7; ++i) CHECK(ligature.carets[i].foot.x > ligature.carets[i - 1].foot.x);
  const Lettering hebrew = set_lettering(words("\u05d0\u05d1\u05d2", {{"font", Text("DejaVu Sans Book")}}));
  CHECK(hebrew.carets[0].foot.x > hebrew.carets[1].foot.x);
  CHECK(hebrew.carets[2].foot.x > hebrew.carets[3].foot.x);
}

TEST_CASE("a joined word of twelve script letters is one contour with the counters that GEOS finds, at any size") {
  const std::string word = "haberdashery";
  double area[2] = {};
  std::size_t holes[2] = {};
  int k = 0;
  for (const double cap : {5.0, 500.0}) {
    INFO("capitals of " << cap << " mm");
    const Values values = words(word, {{"font", Text("Dancing Script Bold")}, {"size", cap}});
    const Path joined = only_path(drawn(lettered(values, true)));
    CHECK(outlines_in(joined) == 1);
    // GEOS unites the same outlines as chords, far finer than anything cut; ours is flattened alike.
    const double chord = cap * 2e-6;
    std::vector<Ring> rings;
    for (const auto& letter : set_lettering(values).letters) {
      for (const auto& c : placed(letter).contours) {
        auto polyline = flatten(c, chord);
        polyline.points.pop_back();
        rings.push_back(std::move(polyline.points));
      }
    }
    const auto theirs = figures_of(geos_region(rings, FillRule::nonzero));
    double ours = 0;
    for (const auto& c : joined.contours) ours += signed_area_of(flatten(c, chord));
    CHECK(theirs.parts == 1);
    CHECK(joined.contours.size() == 1 + theirs.holes);
    CHECK(ours == Approx(theirs.area).epsilon(1e-6));
    area[k] = ours;
    holes[k++] = joined.contours.size() - 1;
  }
  CHECK(holes[0] == holes[1]);
  CHECK(holes[0] >= 8);
  CHECK(area[1] / area[0] / 1e4 == Approx(1).epsilon(1e-6));
}

TEST_CASE("set too loose: the pairs that do not touch are named, and each fix and the whole one mend them") {
  int id = 0;
  Project p = lettered(words("harbour", {{"font", Text("Dancing Script Bold")}, {"size", 30.0}}), true, &id);
  CHECK(said(derived(p), "letters-apart") == 0);
  // Two pairs pulled apart: a-r and o-u.
  Values v = find_piece(p, id)->source.values;
  v = with_letter_move(v, {2, 3, 0, 0, 0, 100});
  v = with_letter_move(v, {5, 2, 0, 0, 0, 100});
  p = lettered(v, true, &id);
  Derived d = derived(p);
  CHECK(said(d, "letters-apart") == 2);
  CHECK(said(d, "letters-apart", "\u201ca\u201d and \u201cr\u201d") == 1);
  CHECK(said(d, "letters-apart", "\u201co\u201d and \u201cu\u201d") == 1);
  // The gap that is told is the one between the outlines.
  const Lettering lettering = set_lettering(v);
  const auto regions = letter_regions(lettering);
  for (const auto& fit : pair_fits(lettering, regions, {})) {
    if (fit.touches) continue;
    CHECK(fit.gap > 0.5);
    CHECK(fit.gap < 3);
    CHECK(offset(regions[fit.pair.left], fit.gap + 0.01).rings.size() > 0);
    CHECK(intersect(offset(regions[fit.pair.left], fit.gap - 0.01), regions[fit.pair.right]).empty());
    CHECK_FALSE(intersect(offset(regions[fit.pair.left], fit.gap + 0.01), regions[fit.pair.right]).empty());
  }
  // Pair by pair.
  Project mended = p;
  for (int round = 0; round < 2; ++round) {
    const Derived now = derived(mended);
    const Finding* f = finding(now, "letters-apart");
    REQUIRE(f);
    CHECK(label(f->fixes.front()).find("Tighten") == 0);
    mended = apply_fix(mended, now.drawing, *f, f->fixes.front());
  }
  CHECK(said(derived(mended), "letters-apart") == 0);
  CHECK(said(derived(mended), "counter-closed") == 0);
  CHECK(outlines_in(only_path(drawn(mended))) == 1);
  // All at once.
  const Finding* f = finding(d, "letters-apart");
  const Project closed = apply_fix(p, d.drawing, *f, f->fixes.back());
  CHECK(label(f->fixes.back()) == "Close up all letters");
  CHECK(said(derived(closed), "letters-apart") == 0);
  CHECK(outlines_in(only_path(drawn(closed))) == 1);
}

TEST_CASE("set too tight: the counter that closes is named, and the fix opens it again") {
  int id = 0;
  Project p = lettered(words("harbour", {{"font", Text("Dancing Script Bold")}, {"size", 12.0}, {"tracking", -2.0}}),
                       true, &id);
  Derived d = derived(p);
  const Finding* f = finding(d, "counter-closed");
  REQUIRE(f);
  CHECK(said(d, "counter-closed") == 1);
  CHECK(sentence(*f).find("the counter of \u201co\u201d is cut down to 1.89 mm²") != Text::npos);
  CHECK(label(f->fixes.front()).find("Loosen ") == 0);
  p = apply_fix(p, d.drawing, *f, f->fixes.front());
  d = derived(p);
  CHECK(said(d, "counter-closed") == 0);
  CHECK(said(d, "letters-apart") == 0);
  CHECK(outlines_in(only_path(drawn(p))) == 1);
}

TEST_CASE("closing up finds one spacing where one does, keeps a finished width, and says when nothing helps") {
  const FitLimits limits{0.4, 2};
  // One typeface, one letter: the same shift suits every pair.
  Values even = words("oooo", {{"font", Text("Comfortaa Bold")}, {"size", 30.0}, {"tracking", 6.0}});
  const auto closed = closed_up(even, limits);
  REQUIRE(closed);
  CHECK(letter_moves(*closed).empty());
  const double tracking = std::get<double>(closed->at("tracking"));
  CHECK(tracking < 0);
  for (const auto& fit : pair_fits(set_lettering(*closed), letter_regions(set_lettering(*closed)), limits)) {
    CHECK(fit.touches);
    CHECK_FALSE(fit.closed);
  }
  // The least that helps: a twentieth of a millimetre looser, they are apart.
  Values looser = *closed;
  looser["tracking"] = tracking + 0.05;
  for (const auto& fit : pair_fits(set_lettering(looser), letter_regions(set_lettering(looser)), limits))
    CHECK_FALSE(fit.touches);
  Values wide = words("Harbour", {{"size-by", Text("width")}, {"size", 120.0}, {"tracking", 3.0}});
  const auto held = closed_up(wide, limits);
  REQUIRE(held);
  CHECK(box_of(set_lettering(*held)).width() == Approx(120).margin(0.01));
  for (const auto& fit : pair_fits(set_lettering(*held), letter_regions(set_lettering(*held)), limits))
    CHECK(fit.touches);
  // A quotation mark hangs over a full stop: no shift along the line makes them touch.
  const auto hopeless = closed_up(words(".'", {{"font", Text("Bebas Neue Bold")}}), limits);
  REQUIRE_FALSE(hopeless);
  CHECK(sentence(hopeless.error().said).find("\u201c.\u201d + \u201c'\u201d") != Text::npos);
  CHECK_FALSE(closed_up(words("ab", {{"font", Text("Hershey Plain")}}), limits));
}

TEST_CASE(
    "overlapping letters that are not joined, thin strokes and small counters are told, with a size that would do") {
  int id = 0;
  Project p = lettered(words("Harbour", {{"size", 6.0}}), false, &id);
  Derived d = derived(p);
  const Finding* overlap = finding(d, "letters-overlap");
  REQUIRE(overlap);
  p = apply_fix(p, d.drawing, *overlap, overlap->fixes.front());
  d = derived(p);
  CHECK_FALSE(finding(d, "letters-overlap"));
  const Finding* small = finding(d, "letters-small");
  REQUIRE(small);
  const Project larger = apply_fix(p, d.drawing, *small, small->fixes.back());
  CHECK_FALSE(finding(derived(larger), "letters-small"));
  // A hairline typeface, 8 mm high: thickened as proposed it passes.
  p = lettered(words("Mast", {{"font", Text("EB Garamond 12 Italic")}, {"size", 8.0}}), false, &id);
  d = derived(p);
  const Finding* thin = finding(d, "letters-thin");
  REQUIRE(thin);
  const Project thick = apply_fix(p, d.drawing, *thin, thin->fixes.front());
  CHECK_FALSE(finding(derived(thick), "letters-thin"));
  const Project grown = apply_fix(p, d.drawing, *thin, thin->fixes.back());
  CHECK_FALSE(finding(derived(grown), "letters-thin"));
  // A pen writes single strokes; too small for its tip, they are said to fill up.
  p = lettered(words("Mast", {{"font", Text("Hershey Plain")}, {"size", 1.5}}), false, &id);
  d = derived(p);
  REQUIRE(finding(d, "letters-small"));
  CHECK(d.drawing.pieces[0]->piece->lines[0].role == Role::draw);
  CHECK(find_tool(p, d.drawing.pieces[0]->piece->lines[0].tool) != nullptr);
}

TEST_CASE("the middle line of a bar, a ring and a cross lie where they must, as wide as the strokes are") {
  const Region bar{{{{0, 0}, {60, 0}, {60, 6}, {0, 6}}}};
  const auto along = centre_lines(bar);
  REQUIRE(along.lines.size() == 1);
  for (const Vec p : along.lines[0].points) CHECK(p.y == Approx(3).margin(0.6));
  CHECK(narrowest(along).width == Approx(6).epsilon(0.05));
  const double from = along.lines[0].points.front().x, to = along.lines[0].points.back().x;
  CHECK(std::min(from, to) < 6.5);
  CHECK(std::max(from, to) > 53.5);
  Ring outer, inner;
  for (int i = 0; i < 180; ++i) {
    const double a = 2 * kPi * i / 180;
    outer.push_back(Vec{std::cos(a), std::sin(a)} * 20);
    inner.push_back(Vec{std::cos(-a), std::sin(-a)} * 16);
  }
  const auto ring = centre_lines(Region{{outer, inner}});
  REQUIRE(ring.lines.size() == 1);
  CHECK(ring.lines[0].closed);
  for (const Vec p : ring.lines[0].points) CHECK(norm(p) == Approx(18).margin(0.25));
  CHECK(narrowest(ring).width == Approx(4).epsilon(0.05));
  const Region cross = unite({bar, Region{{{{27, -30}, {33, -30}, {33, 36}, {27, 36}}}}});
  std::size_t ends = 0;
  for (const auto& line : centre_lines(cross).lines)
    ends += static_cast<std::size_t>(line.free_start) + static_cast<std::size_t>(line.free_end);
  CHECK(ends == 4);
  // A waist in a bar is found, and how thin it is.
  const Region waist{{{{0, 0}, {20, 0}, {30, 2.5}, {40, 0}, {60, 0}, {60, 6}, {40, 6}, {30, 3.5}, {20, 6}, {0, 6}}}};
  CHECK(narrowest(centre_lines(waist)).width == Approx(1).margin(0.25));
  CHECK(narrowest(centre_lines(waist)).at.x == Approx(30).margin(1.5));
  CHECK(centre_lines({}).lines.empty());
}

TEST_CASE("letters as middle lines keep to the middle of their strokes") {
  const Values outline = words("lamp", {{"font", Text("Comfortaa Bold")}, {"size", 40.0}});
  Values middle = outline;
  middle["strokes"] = Text("centre");
  Sayings trouble;
  const auto lines = lettering_lines(middle, trouble);
  REQUIRE(lines.size() == 1);
  CHECK(lines[0].id == "strokes");
  CHECK(lines[0].role == Role::draw);
  const Region letters = unite(letter_regions(set_lettering(outline)));
  std::vector<Polyline> polylines;
  for (const auto& c : lines[0].path->contours) polylines.push_back(flatten(c, 0.01));
  // Inside the letters, well away from their edges.
  CHECK(clip(polylines, letters, false).empty());
  const Region core = offset(letters, -1.0);
  double inside = 0, all = 0;
  for (const auto& polyline : clip(polylines, core, true)) inside += length_of(polyline);
  for (const auto& polyline : polylines) all += length_of(polyline);
  CHECK(inside > 0.97 * all);
  // The strokes of this typeface are of one width: a band of it covers the letters but for their ends.
  const Region band_of =
      buffer(polylines,
             narrowest(set_lettering(outline).face->centre_lines(set_lettering(outline).letters[0].forms[0])).width *
                 set_lettering(outline).letters[0].em_down / 2);
  CHECK(area_of(intersect(band_of, letters)) > 0.9 * area_of(letters));
}

TEST_CASE("a typeface that reserves its outlines is named where it is used, and no other") {
  const Derived free = derived(lettered({{"text", std::string("Lantern")}}, false));
  CHECK(said(free, "outlines-reserved") == 0);
  const Derived d = derived(
      lettered({{"text", std::string("H")}, {"font", std::string(DOTLANE_TEST_DATA) + "/fonts/two.ttc#1"}}, false));
  CHECK(said(d, "outlines-reserved", "Square") == 1);
}

}  // namespace dotlane::test
