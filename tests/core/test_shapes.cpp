// Ready shapes by their figures, tracing by pictures of known shapes, colours by published data.
#include "core/color_space.hpp"
#include "core/format/picture_text.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/region.hpp"
#include "core/project/arrange.hpp"
#include "core/project/kinds.hpp"
#include "core/project/stock_colors.hpp"
#include "core/shape/line_set.hpp"
#include "core/shape/ready.hpp"
#include "core/shape/source.hpp"
#include "core/shape/trace.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

constexpr double kPi = 3.14159265358979323846;

std::vector<Line> made(const std::string& kind, const Values& values = {}) {
  Sayings trouble;
  Source source;
  source.kind = kind;
  source.values = values;
  auto out = source_lines(source, trouble);
  INFO(kind << ": " << sentence(trouble));
  CHECK(trouble.empty());
  return out;
}

double area(const std::vector<Line>& lines) { return enclosed_area_of(*lines.at(0).path); }

const Line* find(const std::vector<Line>& lines, const std::string& id) {
  for (const auto& line : lines) {
    if (line.id == id) return &line;
  }
  return nullptr;
}

Picture picture(int width, int height, const std::function<Color(int, int)>& at) {
  Picture out{width, height, {}};
  for (int y = 0; y < height; ++y) {
    for (int x = 0; x < width; ++x) {
      const Color c = at(x, y);
      out.rgb.insert(out.rgb.end(), {c.r, c.g, c.b});
    }
  }
  return out;
}

}  // namespace

TEST_CASE("every ready shape is closed where it is cut, inside its size, and saved and read again") {
  for (const auto& kind : shape_kinds()) {
    if (kind.kind == "picture" || kind.kind == "pieces") continue;
    INFO(kind.kind);
    const auto lines = made(kind.kind);
    REQUIRE_FALSE(lines.empty());
    for (const auto& line : lines) {
      CHECK_FALSE(line.path->contours.empty());
      if (line.role != Role::cut) continue;
      for (const auto& c : line.path->contours) CHECK(c.closed);
    }
    int id = 0;
    const auto p = add_shape(new_project("x"), kind.kind, {}, &id);
    REQUIRE(p);
    const auto again = project_from_json(to_json(*p), "again");
    if (!again) FAIL(line_of(again.error()));
    CHECK(*again == *p);
    // On the mat, with a tool for each line that is run.
    const Drawing d = drawn(*p);
    CHECK(p->machine.mat_area().grown(200).contains(d.pieces[0]->bounds));
    for (const auto& line : d.pieces[0]->piece->lines) CHECK((!runs(line.role) || !line.tool.empty()));
    const KindSpec* spec = find_kind(shape_kinds(), kind.kind);
    if (spec->find("width") && spec->find("height") && kind.group == "Plain" && kind.kind != "scallop") {
      const Box box = bounds_of(lines);
      CHECK(box.width() == Approx(Reading(*spec, {}).number("width")).margin(0.01));
      CHECK(box.height() == Approx(Reading(*spec, {}).number("height")).margin(0.01));
    }
  }
}

// Arcs are cubics within a micrometre: areas are true to about 1e-4.
TEST_CASE("plain shapes have the areas of geometry") {
  CHECK(area(made("rectangle", {{"width", 80.0}, {"height", 50.0}})) == Approx(4000));
  CHECK(area(made("rectangle", {{"width", 80.0}, {"height", 50.0}, {"radius", 10.0}})) ==
        Approx(4000 - (4 - kPi) * 100).epsilon(1e-6));
  CHECK(area(made("ellipse", {{"width", 60.0}, {"height", 40.0}})) == Approx(kPi * 30 * 20).epsilon(1e-4));
  CHECK(area(made("polygon", {{"sides", 6.0}, {"across", 40.0}})) == Approx(1.5 * std::sqrt(3.0) * 400));
  // A star of n points: n R r sin(pi / n).
  CHECK(area(made("star", {{"points", 5.0}, {"across", 60.0}, {"notch", 40.0}})) ==
        Approx(5 * 30 * 12 * std::sin(kPi / 5)));
  CHECK(area(made("ring", {{"outer", 60.0}, {"inner", 40.0}})) == Approx(kPi * (900 - 400)).epsilon(1e-4));
  // A leaf is two segments of a circle of radius R seen under the angle 2a.
  const double w = 24, h = 60, r = (w * w / 4 + h * h / 4) / w, half = std::asin(h / 2 / r);
  CHECK(area(made("leaf", {{"width", w}, {"height", h}})) ==
        Approx(r * r * (2 * half - std::sin(2 * half))).epsilon(1e-5));
  CHECK(length_of(*made("arc", {{"radius", 40.0}, {"sweep", 90.0}})[0].path) == Approx(20 * kPi).epsilon(1e-4));
  // The length of a sine wave of amplitude 4 and period 24, by the midpoint rule.
  double sine = 0;
  for (int i = 0; i < 100000; ++i)
    sine += std::hypot(1.0, 4 * 2 * kPi / 24 * std::cos(2 * kPi * (i + 0.5) / 100000)) * 24 / 100000;
  CHECK(length_of(*made("wave", {{"width", 120.0}, {"rise", 8.0}, {"waves", 5.0}})[0].path) ==
        Approx(5 * sine).epsilon(0.002));
}

TEST_CASE("a folding card unfolds to its panels, with the fold asked for") {
  const auto one = made("folding-card", {{"width", 105.0}, {"height", 148.0}});
  CHECK(bounds_of(*one[0].path) == Box{0, 0, 210, 148});
  CHECK(find(one, "fold")->role == Role::score);
  CHECK(bounds_of(*find(one, "fold")->path).x0 == Approx(105));
  const auto two =
      made("folding-card",
           {{"width", 100.0}, {"height", 80.0}, {"folds", std::string("two")}, {"opens", std::string("up")}});
  CHECK(bounds_of(*two[0].path) == Box{0, 0, 100, 240});
  CHECK(bounds_of(*find(two, "fold-2")->path).y0 == Approx(160));
  const auto past = made("folding-card", {{"past", 3.0}});
  CHECK(length_of(*find(past, "fold")->path) == Approx(148 + 6));
  const auto perforated =
      made("folding-card", {{"fold", std::string("perforate")}, {"height", 100.0}, {"dash", 2.0}, {"gap", 1.5}});
  const Line* fold = find(perforated, "fold");
  CHECK(fold->role == Role::cut);
  CHECK(length_of(*fold->path) == Approx(100 * 2 / 3.5).epsilon(0.02));
  CHECK(bounds_of(*fold->path).y1 == Approx(100));  // a dash at either edge, so that it opens cleanly
  CHECK(find(made("folding-card", {{"fold", std::string("mark")}}), "fold")->role == Role::draw);
}

TEST_CASE("a shaped card says how long it is joined, and warns when that is too short") {
  Sayings trouble;
  auto lines =
      ready_shape("shaped-card",
                  {{"outline", std::string("ellipse")}, {"width", 90.0}, {"height", 60.0}, {"overlap", 10.0}}, trouble);
  CHECK(trouble.empty());
  // A chord 10 mm below the top of the ellipse.
  const double chord = 90 * std::sqrt(1 - std::pow(20.0 / 30, 2));
  CHECK(length_of(*find(lines, "fold")->path) == Approx(chord).epsilon(1e-3));
  CHECK(bounds_of(*lines[0].path).height() == Approx(2 * (60 - 10)).epsilon(1e-3));
  (void)ready_shape("shaped-card",
                    {{"outline", std::string("ellipse")}, {"width", 90.0}, {"height", 60.0}, {"overlap", 0.3}},
                    trouble);
  CHECK(sentence(trouble).find("joined over") != std::string::npos);
  trouble.clear();
  (void)ready_shape("shaped-card", {{"outline", std::string("star")}, {"overlap", 0.0}}, trouble);
  CHECK_FALSE(trouble.empty());
}

TEST_CASE("badges come in their sizes, and text is kept in the visible face") {
  const std::pair<const char*, std::pair<double, double>> sizes[] = {
      {"25", {25, 35}}, {"37", {37, 49}}, {"58", {58, 70}}};
  for (const auto& [word_of, size] : sizes) {
    const Values values{{"size", std::string(word_of)}};
    const auto lines = made("badge", values);
    CHECK(bounds_of(*find(lines, "disc")->path).width() == Approx(size.second));
    CHECK(bounds_of(*find(lines, "face")->path).width() == Approx(size.first));
    CHECK(find(lines, "face")->role == Role::guide);
    CHECK(badge_face(values).clear_radius == Approx(size.first / 2 - 2));
  }
  Sayings trouble;
  (void)ready_shape("badge", {{"size", std::string("own")}, {"visible", 50.0}, {"cut", 45.0}}, trouble);
  CHECK(sentence(trouble).find("larger") != std::string::npos);
}

TEST_CASE("what is drawn on a badge must keep clear of its rim") {
  auto with_line = [](double x) {
    Project p = *add_shape(new_project("x"), "badge", {{"size", std::string("58")}});
    const Vec middle = p.machine.usable_area().centre();
    const Project q = project_of("<path id=\"word\" d=\"M" + std::to_string(middle.x) + " " + std::to_string(middle.y) +
                                 " h" + std::to_string(x) + "\"/>");
    Piece word_piece = *q.pieces[0];
    word_piece.id = 2;
    word_piece.name = "Word";
    word_piece.stock = p.pieces[0]->stock;
    p.pieces.insert(p.pieces.begin(), Shared<Piece>(word_piece));
    return p;
  };
  CHECK_FALSE(finding(derived(with_line(26)), "badge-rim"));
  const Derived d = derived(with_line(28.5));
  const Finding* rim = finding(d, "badge-rim");
  REQUIRE(rim);
  CHECK(sentence(*rim).find("1.5 mm") != std::string::npos);
  CHECK(rim->lines == std::vector<LineRef>{{2, "word"}});
  CHECK_FALSE(finding(derived(with_line(60)), "badge-rim"));  // that is no part of the badge
}

TEST_CASE("labels, tags, envelopes and boxes come out at their sizes") {
  CHECK(bounds_of(made("label", {{"width", 90.0}, {"height", 50.0}})).width() == Approx(90).margin(0.01));
  const auto bordered = made("label", {{"border", 4.0}});
  REQUIRE(bordered.size() == 2);
  CHECK(bordered[1].role == Role::draw);
  CHECK(bounds_of(*bordered[1].path).width() == Approx(90 - 8).margin(0.05));
  Sayings trouble;
  (void)ready_shape("tag", {{"hole", 8.0}, {"hole-from-end", 5.0}}, trouble);
  CHECK(sentence(trouble).find("above the hole") != std::string::npos);
  // A tray's blank is its floor and four walls and four tabs; its floor lies inside four folds.
  const auto tray = made("box", {{"length", 80.0}, {"width", 60.0}, {"depth", 30.0}});
  CHECK(bounds_of(tray).width() == Approx(140));
  CHECK(bounds_of(tray).height() == Approx(120));
  CHECK(area(tray) > 80 * 60 + 2 * 30 * (80 + 60));
  const auto lid =
      made("box", {{"length", 80.0}, {"width", 60.0}, {"depth", 30.0}, {"piece", std::string("lid")}, {"play", 1.0}});
  CHECK(bounds_of(lid).width() == Approx(141));
  // An envelope's window between its folds is the card and its room.
  const auto envelope = made("envelope", {{"card-width", 148.0}, {"card-height", 105.0}, {"room", 3.0}});
  const Box folds = bounds_of(*find(envelope, "folds")->path);
  CHECK(folds.width() == Approx(154));
  CHECK(folds.height() == Approx(111));
}

TEST_CASE("tracing finds the size and the place of what is in the picture") {
  const Picture disc = picture(400, 400, [](int x, int y) {
    return std::hypot(x - 199.5, y - 149.5) < 100 ? Color{20, 20, 20} : Color{250, 250, 250};
  });
  Sayings trouble;
  const auto layers = trace(disc, {{"width", 80.0}}, trouble);
  REQUIRE(layers.size() == 1);
  CHECK(enclosed_area_of(layers[0].path) == Approx(kPi * 400).epsilon(0.005));
  const Box box = bounds_of(layers[0].path);
  CHECK(box.centre().x == Approx(40).margin(0.1));
  CHECK(box.centre().y == Approx(30).margin(0.1));
  CHECK(segment_count(layers[0].path) < 20);
  // Inverted it is the ground with a hole; cropped it is larger for the same width.
  const auto ground = trace(disc, {{"width", 80.0}, {"invert", true}}, trouble);
  CHECK(enclosed_area_of(ground.at(0).path) == Approx(6400 - kPi * 400).epsilon(0.005));
  const auto cropped = trace(disc, {{"width", 80.0}, {"crop-left", 25.0}, {"crop-right", 25.0}}, trouble);
  CHECK(enclosed_area_of(cropped.at(0).path) == Approx(4 * kPi * 400).epsilon(0.02));
  CHECK(trouble.empty());
  (void)trace(disc, {{"threshold", 0.0}}, trouble);
  CHECK(sentence(trouble).find("another threshold") != std::string::npos);
  (void)trace({}, {}, trouble);
  CHECK(sentence(trouble).find("no picture") != std::string::npos);
}

TEST_CASE("specks are dropped and the smallest bit is told") {
  const Picture specks = picture(200, 200, [](int x, int y) {
    const bool square = x >= 50 && x < 150 && y >= 50 && y < 150, speck = x % 40 == 5 && y == 10;
    return square || speck ? Color{0, 0, 0} : Color{255, 255, 255};
  });
  Sayings trouble;
  CHECK(trace(specks, {{"width", 100.0}, {"despeckle", 0.0}}, trouble).at(0).path.contours.size() == 6);
  CHECK(trace(specks, {{"width", 100.0}, {"despeckle", 4.0}}, trouble).at(0).path.contours.size() == 1);
  CHECK(smallest_bit(traced_lines(specks, {{"width", 100.0}, {"despeckle", 0.0}}, trouble)) < 1);
}

TEST_CASE("several colours come as layers that stack or lie side by side") {
  const Picture stripes = picture(300, 100, [](int x, int) {
    return x < 100 ? Color{240, 220, 60} : x < 200 ? Color{200, 40, 40} : Color{30, 40, 90};
  });
  Sayings trouble;
  const Values abut{
      {"width", 90.0}, {"colors", std::string("several")}, {"layers", 3.0}, {"meet", std::string("abut")}};
  const auto side = trace(stripes, abut, trouble);
  REQUIRE(side.size() == 3);
  for (const auto& layer : side) CHECK(enclosed_area_of(layer.path) == Approx(900).epsilon(0.02));
  CHECK(difference(side[0].color, {240, 220, 60}) < 3);  // lightest first
  Values stack = abut;
  stack["meet"] = std::string("stack");
  const auto stacked = trace(stripes, stack, trouble);
  CHECK(enclosed_area_of(stacked.at(0).path) == Approx(2700).epsilon(0.02));
  CHECK(enclosed_area_of(stacked.at(1).path) == Approx(1800).epsilon(0.02));
}

TEST_CASE("pixels survive as text, and broken text is refused") {
  std::vector<std::uint8_t> pixels;
  for (int i = 0; i < 3 * 7 * 5; ++i) pixels.push_back(static_cast<std::uint8_t>(i * 37));
  const std::string text = text_of_pixels(pixels);
  CHECK(*pixels_from_text(text, pixels.size()) == pixels);
  CHECK_FALSE(pixels_from_text(text, pixels.size() + 3));
  CHECK_FALSE(pixels_from_text(text.substr(0, text.size() / 2), pixels.size()));
  CHECK_FALSE(pixels_from_text("not base64!", pixels.size()));
}

TEST_CASE("colour differences agree with the published test data and a second implementation") {
  // The rows and who vouches for them: tests/colors_agree_test.py.
  const auto rows = table("ciede2000.txt", 7);
  CHECK(rows.size() > 250);
  for (const auto& d : rows) {
    INFO(d[0] << " " << d[1] << " " << d[2]);
    CHECK(ciede2000({d[0], d[1], d[2]}, {d[3], d[4], d[5]}) == Approx(d[6]).margin(0.00006));
  }
  CHECK(to_cielab({255, 255, 255}).l == Approx(100).margin(0.01));
  CHECK(std::abs(to_cielab({255, 255, 255}).a) < 0.02);
}

TEST_CASE("groups nest, and what is in one is found from inside and outside") {
  Project p = new_project("x");
  for (int i = 1; i <= 5; ++i) {
    Piece piece;
    piece.id = i;
    piece.name = std::to_string(i);
    piece.stock = p.stocks.front().id;
    p.pieces.push_back(Shared<Piece>(piece));
  }
  match_sheets(p);
  p = group_pieces(p, {1, 2}, "Tower");
  p = group_pieces(p, {1, 2, 3}, "Harbour");
  CHECK(p.pieces[0]->group == "Harbour / Tower");
  CHECK(p.pieces[2]->group == "Harbour");
  CHECK(with_group(p, {1}) == std::vector<int>{1, 2, 3});
  CHECK(with_group(p, {1}, "Harbour") == std::vector<int>{1, 2});
  CHECK(with_group(p, {4}) == std::vector<int>{4});
  const Project again = group_pieces(p, {4, 5}, "Harbour");
  CHECK(again.pieces[3]->group == "Harbour 2");
  p = ungroup_pieces(p, {3});
  CHECK(p.pieces[0]->group == "Tower");
  CHECK(p.pieces[2]->group.empty());
  CHECK(*project_from_json(to_json(again), "x") == again);
}

TEST_CASE("small bits, slivers and blunted points are found, with a fix that settles them") {
  Project p = project_of(
      R"(<path id="a" d="M20 20 h40 v40 h-40 Z M70 70 h1 v1 h-1 Z"/><rect id="thin" x="20" y="80" width="60" height="0.2"/>)");
  Derived d = derived(p);
  const Finding* tiny = finding(d, "tiny-bits");
  REQUIRE(tiny);
  CHECK(sentence(*tiny).find("1 mm²") != std::string::npos);
  REQUIRE(finding(d, "slivers"));
  CHECK(finding(d, "slivers")->lines == std::vector<LineRef>{{1, "thin"}});
  p = apply_fix(p, d.drawing, *tiny, tiny->fixes.at(0));
  CHECK_FALSE(finding(derived(p), "tiny-bits"));
  // The limit is the project's own.
  Project strict = project_of(R"(<rect id="a" x="20" y="20" width="4" height="4"/>)");
  CHECK_FALSE(finding(derived(strict), "tiny-bits"));
  strict.checks.tiny_mm2 = 20;
  CHECK(finding(derived(strict), "tiny-bits"));
  CHECK(*project_from_json(to_json(strict), "x") == strict);

  Project star = *add_shape(new_project("x"), "star", {});
  star = *add_step(star, 1, Step{0, "offset", true, {}, {}, {}});
  const Derived blunted = derived(star);
  const Finding* blunt = finding(blunted, "blunt-points");
  REQUIRE(blunt);
  star = apply_fix(star, blunted.drawing, *blunt, blunt->fixes.at(0));
  CHECK_FALSE(finding(derived(star), "blunt-points"));

  // What a recipe could not do is said there too.
  const Project empty =
      *add_step(star, 1, Step{0, "offset", true, {{"side", std::string("in")}, {"by", 100.0}}, {}, {}});
  CHECK(finding(derived(empty), "recipe-trouble"));
}

}  // namespace dotlane::test
