#include <catch2/catch.hpp>
#include <filesystem>
#include <set>

#include "chance.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_reader.hpp"
#include "core/format/svg_units.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Artwork art_of(const std::string& name, const ReadOptions& options = {}) {
  const auto bytes = read_file(std::string(DOTLANE_TEST_DATA) + "/svg/" + name);
  REQUIRE(bytes);
  auto art = read_svg(*bytes, name, options);
  if (!art) FAIL(line_of(art.error()));
  return *art;
}

const ArtLine& line(const Artwork& art, const std::string& id) {
  for (const auto& l : art.lines) {
    if (l.id == id) return l;
  }
  FAIL("no line " << id);
  return art.lines.front();
}

bool noted(const Artwork& art, const std::string& code) {
  return std::any_of(art.notes.begin(), art.notes.end(), [&](const Finding& f) { return f.code == code; });
}

}  // namespace

TEST_CASE("a file without physical size is assumed at 96 per inch and offers 90 and 72") {
  const Artwork art = art_of("08_no_size.svg");
  CHECK(art.unit_source == UnitSource::assumed);
  CHECK(art.width_mm == Approx(127));
  CHECK(art.height_mm == Approx(101.6));
  REQUIRE(noted(art, "size-assumed"));
  CHECK(sentence(art.notes.front()).find("135.5 mm x 108.4 mm") != std::string::npos);  // at 90
  CHECK(sentence(art.notes.front()).find("169.3 mm x 135.5 mm") != std::string::npos);  // at 72
  ReadOptions at_72;
  at_72.assumed_per_inch = 72;
  CHECK(art_of("08_no_size.svg", at_72).width_mm == Approx(480 / 72.0 * 25.4));
}

TEST_CASE("stated sizes are kept whatever is assumed elsewhere") {
  ReadOptions at_72;
  at_72.assumed_per_inch = 72;
  const Artwork art = art_of("03_arcs.svg", at_72);
  CHECK(art.unit_source == UnitSource::stated);
  CHECK(art.width_mm == Approx(203.2));
  CHECK(art.per_inch == Approx(100));
}

TEST_CASE("styles come from attributes, sheets, style attributes and parents") {
  const Artwork art = art_of("11_styles.svg");
  CHECK(hex(*line(art, "one").stroke) == "#c04000");
  CHECK(hex(*line(art, "two").stroke) == "#c04000");
  CHECK(hex(*line(art, "special").stroke) == "#004080");
  CHECK(hex(*line(art, "fold").stroke) == "#008040");
  CHECK(line(art, "fold").dashed);
  CHECK(hex(*line(art, "inline").stroke) == "#880088");
  CHECK(line(art, "inline").path.fill_rule == FillRule::evenodd);
  CHECK(hex(*line(art, "inherited").stroke) == "#224466");
  CHECK(hex(*line(art, "current").stroke) == "#113355");
  CHECK_FALSE(line(art, "one").fill);
}

TEST_CASE("layers keep their names, text becomes outlines, pictures are reported") {
  const Artwork art = art_of("13_layers_text.svg");
  CHECK(line(art, "t").layer == "Tower");
  CHECK(line(art, "f").layer == "Waves / Foam");
  CHECK_FALSE(noted(art, "text-left-out"));
  CHECK(line(art, "text-1").path.contours.size() >= 7);  // "Lantern", of the text's own painting
  CHECK(line(art, "text-2").path.contours.size() >= 4);  // "Fair", of the tspan's
  CHECK(noted(art, "image-left-out"));
}

TEST_CASE("hidden elements are left out and counted") {
  const Artwork art = art_of("14_hidden.svg");
  REQUIRE(art.lines.size() == 2);
  CHECK(art.lines[1].id == "lit");
  CHECK(noted(art, "hidden-left-out"));
}

TEST_CASE("dots drawn as strokes of no length are counted where SVG would show them") {
  const auto notes = [](const std::string& body) {
    const auto art =
        read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg" width="50mm" height="50mm" viewBox="0 0 50 50">)" + body +
                     R"(<path id="line" stroke="red" d="M5 5 h10"/></svg>)",
                 "dots.svg");
    REQUIRE(art);
    CHECK(art->lines.size() == 1);
    return art->notes;
  };
  // SVG 1.1, 11.4 "stroke-linecap": a zero length subpath shows only with round or square caps.
  const auto round = notes(
      R"(<g stroke="black" stroke-linecap="round"><path d="M10 10 h0 M20 20 z M30 30"/><line x1="4" y1="4" x2="4" y2="4"/></g>)");
  REQUIRE(round.size() == 1);
  CHECK(round[0].code == "dots-left-out");
  CHECK(round[0].severity == Severity::warning);
  CHECK(
      sentence(round[0]) ==
      "3 dots drawn as strokes of no length were left out: draw a dot as a small circle and bring the file in again.");
  CHECK(notes(R"(<path stroke="black" stroke-linecap="square" d="M10 10 l0 0"/>)").size() == 1);
  CHECK(notes(R"(<path stroke="black" d="M10 10 h0"/>)").empty());
  CHECK(notes(R"(<path stroke="none" stroke-linecap="round" d="M10 10 h0"/>)").empty());
  CHECK(notes(R"(<g stroke-linecap="round"><path stroke="black" stroke-linecap="butt" d="M10 10 h0"/></g>)").empty());
}

TEST_CASE("roles are guessed: dashed inside a cut outline scores, open draws, closed cuts") {
  const auto bytes =
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100" fill="none" stroke="#333">
    <rect id="outline" x="10" y="10" width="80" height="60"/><path id="fold" stroke-dasharray="2 1" d="M50 10 V70"/>
    <path id="loose" stroke-dasharray="2 1" d="M5 90 H95"/><path id="swell" d="M20 40 q5 -5 10 0"/>
    <circle id="disc" fill="teal" stroke="none" cx="70" cy="40" r="5"/><path id="nothing" stroke="none" d="M0 0 H5 V5 Z"/></svg>)";
  const auto art = read_svg(bytes, "roles.svg");
  REQUIRE(art);
  CHECK(guess_roles(art->lines) == std::vector{Role::cut, Role::score, Role::draw, Role::draw, Role::cut, Role::guide});
  int id = 0;
  const Project project = add_artwork(new_project("t"), *art, "some/lantern-roof.svg", &id);
  const Piece* piece = find_piece(project, id);
  CHECK(piece->name == "Lantern roof");
  CHECK(piece->lines[0].role_guessed);
  CHECK(piece->lines[0].tool == "fine-blade");
  CHECK(piece->lines[1].tool == "scoring-tip");
  CHECK(piece->lines[3].tool == "pen-333333");
  CHECK(piece->lines[5].tool.empty());
}

TEST_CASE("curves stay curves") {
  const Artwork art = art_of("02_path_commands.svg");
  const auto& segments = line(art, "abs").path.contours[0].segments;
  CHECK(std::count_if(segments.begin(), segments.end(), [](const Segment& s) { return !s.straight; }) == 4);
}

TEST_CASE("limits end a reading early") {
  ReadOptions small;
  small.max_segments = 3;
  const auto art =
      read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg"><path d="M0 0 L1 1 L2 0 L3 1 L4 0"/></svg>)", "s.svg", small);
  REQUIRE_FALSE(art);
  CHECK(art.error().kind == ErrorKind::unsupported);
}

TEST_CASE("a cut-short file never crashes the reader, wherever it is cut") {
  const auto bytes = read_file(std::string(DOTLANE_DEMO) + "/art/lighthouse-card.svg");
  REQUIRE(bytes);
  for (std::size_t n = 0; n < bytes->size() - 1; n += 13) {
    const auto art = read_svg(std::string_view(*bytes).substr(0, n), "cut.svg");
    if (!art) CHECK(line_of(art.error()).find("cut.svg") == 0);
  }
}

TEST_CASE("random damage gives lines or an error, never a crash") {
  auto bytes = *read_file(std::string(DOTLANE_DEMO) + "/art/lighthouse-card.svg");
  std::uint32_t state = 12345;
  auto next = [&] { return state = state * 1664525u + 1013904223u; };
  for (int round = 0; round < 1500; ++round) {
    std::string hurt = bytes;
    for (int k = 0; k < 4; ++k) hurt[next() % hurt.size()] = static_cast<char>(next() >> 24);
    const auto art = read_svg(hurt, "hurt.svg");
    if (art) {
      for (const auto& l : art->lines) REQUIRE(is_finite({bounds_of(l.path).x1, bounds_of(l.path).y1}));
    }
  }
}

TEST_CASE("damaged attributes give lines or an error, never a crash") {
  // Only what stands between quotes is hurt, with characters that XML allows, so that it is the drawing that is tried.
  // A third get other letters, most other digits only.
  const std::string_view letters = "0123456789.,-+eE MmLlHhVvCcSsQqTtAaZz()%#pxmin";
  Chance chance(9);
  int read = 0, noted = 0;
  for (const auto& file : std::filesystem::directory_iterator(std::string(DOTLANE_TEST_DATA) + "/svg")) {
    const std::string whole = *read_file(file.path().string());
    std::vector<std::size_t> inside;
    bool quoted = false, tag = false;
    for (std::size_t i = 0; i < whole.size(); ++i) {
      if (!quoted && whole[i] == '<') tag = true;
      if (!quoted && whole[i] == '>') tag = false;
      if (whole[i] == '"' && tag) {
        quoted = !quoted;
      } else if (quoted) {
        inside.push_back(i);
      }
    }
    for (int round = 0; round < 60 && !inside.empty(); ++round) {
      std::string hurt = whole;
      const bool digits = round % 3 != 0;
      for (int k = chance.whole(1, 6); k > 0; --k) {
        char& at = hurt[inside[static_cast<std::size_t>(chance.whole(0, static_cast<int>(inside.size()) - 1))]];
        if (digits && (at < '0' || at > '9')) continue;
        at = letters[static_cast<std::size_t>(chance.whole(0, digits ? 9 : static_cast<int>(letters.size()) - 1))];
      }
      const auto art = read_svg(hurt, "hurt.svg");
      if (!art) {
        CHECK(line_of(art.error()).find("hurt.svg") == 0);
        continue;
      }
      ++read;
      noted += !art->notes.empty();
      for (const auto& l : art->lines) {
        const Box box = bounds_of(l.path);
        REQUIRE(is_finite({box.x0, box.y0}));
        REQUIRE(is_finite({box.x1, box.y1}));
        for (const auto& c : l.path.contours) REQUIRE_FALSE(c.segments.empty());
      }
    }
  }
  CHECK(read > 600);  // most pass the XML
  CHECK(noted > 100);
}

TEST_CASE("viewports are fitted as preserveAspectRatio asks") {
  const Box box = Box::of(-5, -5, 10, 10);
  auto at = [&](const char* aspect, Vec p) { return fit_view_box(box, 40, 20, aspect)(p); };
  CHECK(at("", {0, 0}) == Vec{20, 10});  // xMidYMid meet
  CHECK(at("xMinYMin meet", {-5, -5}) == Vec{0, 0});
  CHECK(at("xMaxYMax meet", {5, 5}) == Vec{40, 20});
  CHECK(at("none", {5, 5}) == Vec{40, 20});
  CHECK(at("none", {-5, 0}) == Vec{0, 10});
  CHECK(at("xMidYMin slice", {0, -5}) == Vec{20, 0});
  CHECK(at("xMidYMax slice", {0, 5}) == Vec{20, 20});
  CHECK(at("xMidYMid slice", {5, 0}) == Vec{40, 10});
}

TEST_CASE("transform lists multiply from left to right") {
  auto map = [](const char* text, Vec p) {
    const auto t = parse_transform(text);
    INFO(text);
    REQUIRE(t);
    return (*t)(p);
  };
  CHECK(map("", {3, 4}) == Vec{3, 4});
  CHECK(map("translate(10) scale(2)", {3, 4}) == Vec{16, 8});
  CHECK(map("scale(2),translate(10 1)", {3, 4}) == Vec{26, 10});
  CHECK(map("matrix(1 0 0 -1 5 6)", {3, 4}) == Vec{8, 2});
  CHECK(distance(map("rotate(90)", {1, 0}), {0, 1}) < 1e-12);
  CHECK(distance(map("rotate(180 5 5)", {0, 0}), {10, 10}) < 1e-12);
  CHECK(distance(map("skewX(45)", {0, 2}), {2, 2}) < 1e-12);
  CHECK(distance(map("skewY(45)", {2, 0}), {2, 2}) < 1e-12);
  for (const char* bad :
       {"rotate(1 2)", "spin(3)", "scale", "scale(1", "matrix(1 2 3)", "translate(a)", "scale(1 2 3)"}) {
    INFO(bad);
    CHECK_FALSE(parse_transform(bad));
  }
}

TEST_CASE("basic shapes are the paths that SVG says they equal") {
  // SVG 1.1, chapter 9 "Basic Shapes": the path each shape is drawn as.
  Chance chance(91);
  const auto only_line = [](const std::string& body) {
    const auto art = read_svg(
        R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100" fill="none" stroke="red">)" +
            body + "</svg>",
        "shape.svg");
    if (!art) FAIL(line_of(art.error()));
    REQUIRE(art->lines.size() == 1);
    return art->lines.front().path;
  };
  const auto number = [](double v) { return std::to_string(v); };
  for (int round = 0; round < rounds(120); ++round) {
    const double x = chance.between(0, 50), y = chance.between(0, 50), w = chance.between(5, 50),
                 h = chance.between(5, 50), rx = chance.between(0.5, w / 2), ry = chance.between(0.5, h / 2);
    std::string shape, path;
    const std::string arc = " A" + number(rx) + "," + number(ry) + " 0 0 1 ";
    const auto at = [&](double px, double py) { return number(px) + "," + number(py); };
    switch (round % 5) {
      case 0:
        shape = "<rect x='" + number(x) + "' y='" + number(y) + "' width='" + number(w) + "' height='" + number(h) +
                "' rx='" + number(rx) + "' ry='" + number(ry) + "'/>";
        path = "M" + at(x + rx, y) + " L" + at(x + w - rx, y) + arc + at(x + w, y + ry) + " L" + at(x + w, y + h - ry) +
               arc + at(x + w - rx, y + h) + " L" + at(x + rx, y + h) + arc + at(x, y + h - ry) + " L" + at(x, y + ry) +
               arc + at(x + rx, y) + " Z";
        break;
      case 1:
        shape =
            "<ellipse cx='" + number(x) + "' cy='" + number(y) + "' rx='" + number(rx) + "' ry='" + number(ry) + "'/>";
        path = "M" + at(x + rx, y) + arc + at(x, y + ry) + arc + at(x - rx, y) + arc + at(x, y - ry) + arc +
               at(x + rx, y) + " Z";
        break;
      case 2:
        shape = "<line x1='" + number(x) + "' y1='" + number(y) + "' x2='" + number(w) + "' y2='" + number(h) + "'/>";
        path = "M" + at(x, y) + " L" + at(w, h);
        break;
      case 3:
        shape = "<polyline points='" + at(x, y) + " " + at(w, h) + " " + at(rx, ry + 60) + "'/>";
        path = "M" + at(x, y) + " L" + at(w, h) + " L" + at(rx, ry + 60);
        break;
      default:
        shape = "<polygon points='" + at(x, y) + " " + at(w, h) + " " + at(rx, ry + 60) + "'/>";
        path = "M" + at(x, y) + " L" + at(w, h) + " L" + at(rx, ry + 60) + " Z";
    }
    // The shape under nested transforms, used twice over, is the path under their product.
    const double turn = chance.between(0, 360), grow = chance.between(0.2, 2);
    const std::string a = "translate(" + number(x) + " " + number(h) + ")", b = "rotate(" + number(turn) + ")",
                      c = "scale(" + number(grow) + " " + number(-grow) + ")";
    const Path nested = only_line("<g transform='" + a + "'><g transform='" + b + "'><g transform='" + c + "'>" +
                                  shape + "</g></g></g>");
    const Path used = only_line("<defs><g id='it'>" + shape + "</g></defs><use href='#it' transform='" + a + " " + b +
                                " " + c + "'/>");
    const Path plain = only_line("<path transform='" + a + b + c + "' d='" + path + "'/>");
    INFO("round " << round << ": " << shape);
    for (const Path* other : {&nested, &used}) {
      CHECK(length_of(*other) == Approx(length_of(plain)).epsilon(1e-4));
      // Arcs become cubics within a micrometre.
      CHECK(enclosed_area_of(*other) == Approx(enclosed_area_of(plain)).margin(0.001 * length_of(plain)));
      const Box one = bounds_of(*other), two = bounds_of(plain);
      for (const auto& [p, q] : {std::pair{one.x0, two.x0}, {one.y0, two.y0}, {one.x1, two.x1}, {one.y1, two.y1}})
        CHECK(p == Approx(q).margin(1e-3));
      CHECK(other->contours.front().closed == plain.contours.front().closed);
    }
  }
}

TEST_CASE("relative, absolute and shorthand path data say the same") {
  // SVG 1.1, 8.3 "Path data": h and v, s and t take over what they leave out; lower case counts from the current point.
  Chance chance(14);
  const auto one = [](const std::string& d) {
    const auto art = read_svg(
        R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100" fill="none" stroke="red"><path d=")" +
            d + R"("/></svg>)",
        "path.svg");
    if (!art) FAIL(line_of(art.error()));
    REQUIRE(art->lines.size() == 1);
    return art->lines.front().path;
  };
  for (int round = 0; round < rounds(200); ++round) {
    Vec at{chance.between(0, 50), chance.between(0, 50)};
    const auto say = [](Vec v) { return std::to_string(v.x) + " " + std::to_string(v.y) + " "; };
    std::string longhand = "M" + say(at), shorthand = "m" + say(at);
    Vec control = at;  // of the cubic before, else the current point
    for (int k = chance.whole(2, 8); k > 0; --k) {
      const auto anywhere = [&] { return at + Vec{chance.between(-9, 9), chance.between(-9, 9)}; };
      const Vec to = anywhere(), c1 = anywhere(), c2 = anywhere();
      switch (chance.whole(0, 4)) {
        case 0:
          longhand += "L" + say(to), shorthand += "l" + say(to - at);
          at = control = to;
          break;
        case 1:
          longhand += "L" + say({to.x, at.y}), shorthand += "h" + std::to_string(to.x - at.x) + " ";
          at = control = {to.x, at.y};
          break;
        case 2:
          longhand += "L" + say({at.x, to.y}), shorthand += "V" + std::to_string(to.y) + " ";
          at = control = {at.x, to.y};
          break;
        case 3:
          longhand += "C" + say(c1) + say(c2) + say(to), shorthand += "c" + say(c1 - at) + say(c2 - at) + say(to - at);
          at = to, control = c2;
          break;
        default: {
          const Vec mirrored = at * 2 - control;
          longhand += "C" + say(mirrored) + say(c2) + say(to), shorthand += "s" + say(c2 - at) + say(to - at);
          at = to, control = c2;
        }
      }
    }
    if (chance.coin()) longhand += "Z", shorthand += "z";
    INFO(shorthand);
    const Path a = one(longhand), b = one(shorthand);
    REQUIRE(a.contours.size() == 1);
    REQUIRE(b.contours.size() == 1);
    const Contour &p = a.contours.front(), &q = b.contours.front();
    CHECK(p.closed == q.closed);
    REQUIRE(p.segments.size() == q.segments.size());
    for (std::size_t i = 0; i < p.segments.size(); ++i) {
      CHECK(p.segments[i].straight == q.segments[i].straight);
      CHECK(distance(p.segments[i].end, q.segments[i].end) < 1e-4);
      if (p.segments[i].straight) continue;
      CHECK(distance(p.segments[i].c1, q.segments[i].c1) < 1e-4);
      CHECK(distance(p.segments[i].c2, q.segments[i].c2) < 1e-4);
    }
  }
}

TEST_CASE("lengths carry their units and px is no paper size") {
  CHECK(parse_svg_length("12.5mm")->unit == "mm");
  CHECK(parse_svg_length(" 3 PX ")->unit == "px");
  CHECK_FALSE(parse_svg_length("wide"));
  CHECK(*px_per("in") == 96);
  CHECK(*px_per("pt") == Approx(96 / 72.0));
  CHECK(*px_per("q") == Approx(96 / 101.6));
  CHECK_FALSE(px_per("em"));
  CHECK(is_physical("cm"));
  CHECK_FALSE(is_physical("px"));
  CHECK_FALSE(is_physical(""));
  CHECK_FALSE(is_physical("%"));
}

TEST_CASE("ids are unique whatever the file says") {
  const auto art =
      read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg"><path id="a" d="M0 0h1"/><path id="a" d="M0 1h1"/>
    <path d="M0 2h1"/><path id="path-1" d="M0 3h1"/><g id="g"><rect id="a" width="1" height="1"/></g></svg>)",
               "ids.svg");
  REQUIRE(art);
  std::set<std::string> ids;
  for (const auto& l : art->lines) CHECK(ids.insert(l.id).second);
  CHECK(ids.size() == 5);
}

TEST_CASE("rounded rectangles take what the file leaves out from the other radius") {
  auto area = [](const std::string& attributes) {
    const auto art =
        read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100">
      <rect width="40" height="20" )" +
                     attributes + "/></svg>",
                 "r.svg");
    REQUIRE(art);
    return enclosed_area_of(art->lines.at(0).path);
  };
  // A rectangle with corner radii a, b loses (4 - pi) a b.
  constexpr double k = 4 - 3.14159265358979;
  CHECK(area("") == Approx(800));
  CHECK(area("rx=\"4\"") == Approx(800 - k * 16).epsilon(1e-4));
  CHECK(area("ry=\"4\"") == Approx(800 - k * 16).epsilon(1e-4));
  CHECK(area("rx=\"4\" ry=\"2\"") == Approx(800 - k * 8).epsilon(1e-4));
  CHECK(area("rx=\"90\" ry=\"90\"") == Approx(800 - k * 200).epsilon(1e-4));
  CHECK(area("rx=\"0\" ry=\"5\"") == Approx(800));
}

TEST_CASE("gradients stand for one colour") {
  const auto art = read_svg(
      R"svg(<svg xmlns="http://www.w3.org/2000/svg"><defs><linearGradient id="base"><stop stop-color="#c77f0a"/></linearGradient>
    <linearGradient id="glow" href="#base"/></defs>
    <rect width="5" height="5" fill="url(#glow)"/><rect width="5" height="5" fill="url(#none)"/></svg>)svg",
      "g.svg");
  REQUIRE(art);
  REQUIRE(art->lines.size() == 2);
  CHECK(hex(*art->lines[0].fill) == "#c77f0a");
  CHECK(hex(*art->lines[1].fill) == "#808080");
}

TEST_CASE("what changes from place to place takes its mean colour") {
  const auto fill = [](const std::string& server) {
    const auto art = read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg"><defs>)" + server +
                                  R"svg(</defs><rect width="5" height="5" fill="url(#g)"/></svg>)svg",
                              "mean.svg");
    REQUIRE(art);
    return hex(*art->lines.at(0).fill);
  };
  // Black to white: 127.5. Black for three quarters of the way: 255 times an eighth.
  CHECK(
      fill(
          R"(<linearGradient id="g"><stop offset="0" stop-color="#000"/><stop offset="1" stop-color="#fff"/></linearGradient>)") ==
      "#808080");
  CHECK(
      fill(
          R"(<radialGradient id="g"><stop offset="75%" stop-color="#000"/><stop offset="100%" style="stop-color:#fff"/></radialGradient>)") ==
      "#202020");
  // What is transparent does not count.
  CHECK(
      fill(
          R"(<linearGradient id="g"><stop offset="0" stop-color="#c00000"/><stop offset="1" stop-color="#fff" stop-opacity="0"/></linearGradient>)") ==
      "#c00000");
  CHECK(
      fill(
          R"(<linearGradient id="h"><stop stop-color="#102030"/></linearGradient><linearGradient id="g" href="#h"/>)") ==
      "#102030");
  CHECK(
      fill(
          R"(<pattern id="g" width="2" height="2"><rect width="1" height="1" fill="#200000"/><rect x="1" width="1" height="1" fill="#004000"/></pattern>)") ==
      "#102000");
  CHECK(fill(R"(<linearGradient id="g" href="#g"/>)") == "#808080");  // it refers to itself
}

TEST_CASE("what is wrong in a drawing is drawn as far as it goes, and told with its line (SVG 2, error handling)") {
  const auto read = [](const std::string& body) {
    const auto art =
        read_svg("<svg xmlns='http://www.w3.org/2000/svg' width='100mm' height='100mm' viewBox='0 0 100 100'>\n" +
                     body + "\n<rect id='sound' x='1' y='1' width='5' height='5' stroke='#000'/></svg>",
                 "hurt.svg");
    if (!art) FAIL(line_of(art.error()));
    REQUIRE(std::any_of(art->lines.begin(), art->lines.end(), [](const ArtLine& l) { return l.id == "sound"; }));
    return *art;
  };
  const auto said = [](const Artwork& art, const char* code) {
    for (const auto& note : art.notes) {
      if (note.code == code)
        return std::pair{std::get<double>(note.figures.at("count")), std::get<double>(note.figures.at("line"))};
    }
    return std::pair{0.0, 0.0};
  };
  using Said = std::pair<double, double>;
  const Artwork path = read("<path stroke='#000' d='M10 10 H40 V30 L 50'/>\n<path stroke='#000' d='M0 0 L5 5 Q oh'/>");
  CHECK(said(path, "path-cut-short") == Said{2, 2});
  REQUIRE(path.lines.size() == 3);
  CHECK(path.lines[0].path.contours.at(0).segments.size() == 2);
  CHECK(bounds_of(path.lines[0].path).y1 == Approx(30));
  CHECK(path.lines[1].path.contours.at(0).segments.size() == 1);
  CHECK(said(read("<path stroke='#000' d='L 5 5'/>"), "path-cut-short") == Said{1, 2});
  const Artwork points = read("<polyline stroke='#000' points='0,0 10,0 10,10 7'/>");
  CHECK(said(points, "path-cut-short") == Said{1, 2});
  CHECK(points.lines[0].path.contours.at(0).segments.size() == 2);
  // A transform or length that cannot be read counts as not given.
  const Artwork turned =
      read("\n<g transform='rotate(oh)'><rect stroke='#000' x='20' y='20' width='5' height='9wat'/></g>");
  CHECK(said(turned, "attribute-ignored") == Said{2, 3});
  CHECK(turned.lines.size() == 1);
  const Artwork moved = read("<rect transform='translate(nowhere)' stroke='#000' x='20' y='20' width='5' height='5'/>");
  CHECK(bounds_of(moved.lines[0].path).x0 == Approx(20));
  CHECK(said(read("<circle r='-3' stroke='#000'/>"), "attribute-ignored") == Said{1, 2});
  CHECK(said(read("<svg viewBox='0 0 0 5'><rect stroke='#000' width='3' height='3'/></svg>"), "attribute-ignored") ==
        Said{1, 2});
  // Far away, nowhere, of another file, of nothing, of itself.
  CHECK(said(read("<rect x='1e8' stroke='#000' width='3' height='3'/>"), "element-left-out") == Said{1, 2});
  CHECK(said(read("<use href='other.svg#gull'/><use href='http://example.org/x.svg#a'/>"), "use-outside") ==
        Said{2, 2});
  CHECK(said(read("<use href='#none'/>"), "use-lost") == Said{1, 2});
  CHECK(said(read("<g id='a'><use href='#a'/></g>"), "use-endless") == Said{1, 2});
  for (const char* code :
       {"path-cut-short", "attribute-ignored", "element-left-out", "use-outside", "use-lost", "use-endless"}) {
    Finding finding{code, Severity::warning, {{"count", 2.0}, {"line", 7.0}, {"name", "thing"}}};
    INFO(code);
    CHECK(sentence(finding, LengthUnit::mm).find("line 7") != std::string::npos);
  }
}

TEST_CASE("letters stand where lists of positions put them, the innermost first") {
  // One letter of a shipped face again and again: each stands off by what the lists say (SVG 1.1, 10.5).
  const auto read = [](const std::string& body) {
    auto art = read_svg(
        "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='100mm' viewBox='0 0 200 100' "
        "font-family='Bebas Neue' font-weight='bold' font-size='10'>" +
            body + "</svg>",
        "list.svg");
    REQUIRE(art);
    CHECK_FALSE(noted(*art, "typeface-stands-in"));
    std::vector<Vec> corners;  // bottom left of each letter
    for (const ArtLine& l : art->lines) {
      for (const Contour& c : l.path.contours) {
        const Box box = bounds_of(Path{{c}, FillRule::nonzero});
        corners.push_back({box.x0, box.y1});
      }
    }
    return corners;
  };
  const Vec at = read("<text y='50'>I</text>").at(0);
  CHECK(at.y == Approx(50));
  const double step = read("<text y='50'>II</text>").at(1).x - at.x;
  const auto stand = [&](const std::string& body, const std::vector<Vec>& want) {
    INFO(body);
    const auto found = read(body);
    REQUIRE(found.size() == want.size());
    for (std::size_t i = 0; i < want.size(); ++i) {
      CHECK(found[i].x == Approx(want[i].x + at.x).margin(1e-6));
      CHECK(found[i].y == Approx(want[i].y).margin(1e-6));
    }
  };
  stand("<text x='10 30,70' y='40 45'>IIII</text>", {{10, 40}, {30, 45}, {70, 45}, {70 + step, 45}});
  stand("<text x='10' y='40' dx='0 5' dy='0 0 -3'>III</text>", {{10, 40}, {15 + step, 40}, {15 + 2 * step, 37}});
  // A tspan's own lists come first; where they end, the outer ones go on counting all letters (the tspan is a line of
  // its own, after the text's).
  stand("<text x='0 20 40 60' y='30'>I<tspan x='100'>II</tspan>I</text>", {{0, 30}, {60, 30}, {100, 30}, {40, 30}});
  // White space that falls away takes no position, a space takes one.
  stand("<text x='0 20 40' y='30'> I I</text>", {{0, 30}, {40, 30}});
  // Each absolute position begins a chunk with an anchor of its own.
  stand("<text text-anchor='end' x='50 90' y='30'>II</text>", {{50 - step, 30}, {90 - step, 30}});
  stand("<text text-anchor='middle' x='50' y='30' letter-spacing='2'>II</text>", {{50 - step - 2, 30}, {50, 30}});
}

TEST_CASE("letters are turned, fitted into a length, spread by words, raised and lowered as they are asked to be") {
  // A capital I of a shipped face is an upright bar: a closed form for each (SVG 1.1, 10.4 to 10.9).
  const auto boxes = [](const std::string& body) {
    const auto art = read_svg(
        "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='100mm' viewBox='0 0 200 100' "
        "font-family='Bebas Neue' font-weight='bold' font-size='10'>" +
            body + "</svg>",
        "text.svg");
    REQUIRE(art);
    std::vector<Box> out;
    for (const ArtLine& l : art->lines) {
      for (const Contour& c : l.path.contours) out.push_back(bounds_of(Path{{c}, FillRule::nonzero}));
    }
    return out;
  };
  const Box bar = boxes("<text x='0' y='50'>I</text>").at(0);
  const double step = boxes("<text x='0' y='50'>II</text>").at(1).x0 - bar.x0;
  REQUIRE(bar.height() > 3 * bar.width());
  const auto at = [](const Box& box, double x0, double y0, double x1, double y1) {
    CHECK(box.x0 == Approx(x0).margin(1e-6));
    CHECK(box.y0 == Approx(y0).margin(1e-6));
    CHECK(box.x1 == Approx(x1).margin(1e-6));
    CHECK(box.y1 == Approx(y1).margin(1e-6));
  };
  // A quarter turn about where the letter stands: what was above lies to the right. The last angle goes on.
  const auto turned = boxes("<text x='0' y='50' rotate='0 90'>III</text>");
  REQUIRE(turned.size() == 3);
  at(turned[0], bar.x0, bar.y0, bar.x1, bar.y1);
  for (int i = 1; i < 3; ++i)
    at(turned[static_cast<std::size_t>(i)], i * step, 50 + bar.x0, i * step + bar.height(), 50 + bar.x1);
  // Fitted: the letters stay and lie farther apart, or are all wider; a tspan within another's length is fitted first.
  const auto spaced = boxes("<text x='0' y='50' textLength='40'>III</text>");
  at(spaced[2], 40 - step + bar.x0, bar.y0, 40 - step + bar.x1, bar.y1);
  CHECK(spaced[1].x0 - spaced[0].x0 == Approx(spaced[2].x0 - spaced[1].x0));
  const auto stretched = boxes("<text x='5' y='50' textLength='40' lengthAdjust='spacingAndGlyphs'>II</text>");
  const double by = 40 / (2 * step);
  at(stretched[0], 5 + by * bar.x0, bar.y0, 5 + by * bar.x1, bar.y1);
  at(stretched[1], 25 + by * bar.x0, bar.y0, 25 + by * bar.x1, bar.y1);
  const auto nested = boxes("<text x='0' y='50' textLength='60'>I<tspan textLength='20'>II</tspan>I</text>");
  REQUIRE(nested.size() == 4);
  at(nested[1], 60 - step + bar.x0, bar.y0, 60 - step + bar.x1, bar.y1);  // the text's own letters are a line
  // Fitted text has the length that its anchor counts.
  at(boxes("<text x='100' y='50' text-anchor='end' textLength='40'>II</text>")[0], 60 + bar.x0, bar.y0, 60 + bar.x1,
     bar.y1);
  const double blank = boxes("<text x='0' y='50'>I I</text>").at(1).x0 - bar.x0;
  CHECK(boxes("<text x='0' y='50' word-spacing='3'>I I</text>").at(1).x0 - bar.x0 == Approx(blank + 3));
  // Raised by a length, by a share of the letters, and again within what is raised; numbers count from the line.
  const auto raised = boxes(
      "<text x='0' y='50'>I<tspan baseline-shift='4'>I<tspan style='baseline-shift:-20%'>I</tspan>"
      "</tspan><tspan baseline-shift='super' font-size='5'>I</tspan></text>");
  REQUIRE(raised.size() == 4);
  CHECK(raised[1].y1 == Approx(46));
  CHECK(raised[2].y1 == Approx(48));
  CHECK(raised[3].y1 == Approx(48));
  // Another line of the letters where the text stands: a capital stands on its baseline, as far below.
  const double middle = boxes("<text x='0' y='50' dominant-baseline='central'>I</text>").at(0).y1;
  const double top = boxes("<text x='0' y='50' dominant-baseline='text-before-edge'>I</text>").at(0).y1;
  const double bottom = boxes("<text x='0' y='50' dominant-baseline='text-after-edge'>I</text>").at(0).y1;
  CHECK(top > 50 + bar.height());
  CHECK(bottom < 50);
  CHECK(middle == Approx((top + bottom) / 2));
}

TEST_CASE("a typeface that is not here, letters that no face has, and text along a path are told") {
  const auto read = [](const std::string& body) {
    auto art = read_svg(
        "<svg xmlns='http://www.w3.org/2000/svg' width='200mm' height='100mm' viewBox='0 0 200 100'>" + body + "</svg>",
        "told.svg");
    REQUIRE(art);
    return *art;
  };
  const Artwork other = read("<text y='50' font-family='Nowhere Quay, sans-serif'>Buoy</text>");
  REQUIRE(noted(other, "typeface-stands-in"));
  CHECK(other.lines.size() == 1);
  CHECK(sentence(other.notes.front()).find("stands in for Nowhere Quay, which is not on this machine") !=
        std::string::npos);
  // Weights and slants that a family does not have, and letters that another face has to lend.
  const Artwork slanted =
      read("<text y='50' font-family='Bebas Neue' font-style='italic' font-weight='bold'>Buoy</text>");
  REQUIRE(noted(slanted, "typeface-stands-in"));
  CHECK(std::get<std::string>(slanted.notes.front().figures.at("asked")) == "Bebas Neue Bold Italic");
  CHECK(
      noted(read("<text y='50' font-family='Yanone Kaffeesatz' font-weight='900'>Buoy</text>"), "typeface-stands-in"));
  CHECK_FALSE(noted(read("<text y='50' font-family='Yanone Kaffeesatz'>Buoy</text>"), "typeface-stands-in"));
  const Artwork lent = read("<text y='50' font-family='Bebas Neue' font-weight='bold'>Buoy \u03a9</text>");
  REQUIRE(noted(lent, "typeface-stands-in"));
  CHECK(std::get<std::string>(lent.notes.front().figures.at("asked")).find("Bebas Neue") == 0);
  CHECK(lent.lines.size() == 1);
  // U+10FFFE is no character, and no face has one.
  const Artwork none = read("<text y='50' font-family='Bebas Neue'>a\xF4\x8F\xBF\xBE</text>");
  CHECK(noted(none, "text-left-out"));
  CHECK(none.lines.empty());
  const Artwork bent = read("<path id='p' stroke='red' d='M0 0h9'/><text><textPath href='#p'>bent</textPath></text>");
  CHECK(noted(bent, "text-left-out"));
  CHECK(bent.lines.size() == 1);
}
