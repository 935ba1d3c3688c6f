// Where parts lie on sheets: as drawn through windows, where they were put, and after every edit where they were.
#include "core/layout/lay_edit.hpp"

#include <map>
#include <set>
#include <tuple>

#include "core/format/svg_writer.hpp"
#include "core/geometry/measure.hpp"
#include "core/job/hpgl.hpp"
#include "fixtures.hpp"
#include "random_projects.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// Regular polygons of so many corners and more in a row, as one line.
std::string polygons(int from, int n, double y) {
  std::string d;
  for (int i = 0; i < n; ++i) {
    const int corners = from + i;
    for (int k = 0; k < corners; ++k) {
      const double a = 2 * std::numbers::pi * k / corners;
      d += (k == 0 ? "M" : "L") + std::to_string(30 + 25 * i + 10 * std::cos(a)) + " " +
           std::to_string(y + 10 * std::sin(a)) + " ";
    }
    d += "Z ";
  }
  return "<path id='row' d='" + d + "'/>";
}

struct Lying {
  int sheet;
  double x, y, turn;
  friend bool operator==(const Lying&, const Lying&) = default;
  friend std::ostream& operator<<(std::ostream& out, const Lying& l) {
    return out << "sheet " << l.sheet << " at " << l.x << " " << l.y << " turned " << l.turn;
  }
};

/// Which of the polygons of a row are left, by piece.
using Rows = std::map<int, std::vector<int>>;

/// The parts of a piece from left to right in its source, however it is sized, turned and mirrored by now.
std::vector<std::size_t> in_row(const Project& p, const std::vector<Part>& parts, int piece) {
  const Affine back = find_piece(p, piece)->placement.inverse();
  std::vector<std::size_t> out;
  for (std::size_t i = 0; i < parts.size(); ++i) {
    if (parts[i].key.piece == piece) out.push_back(i);
  }
  std::sort(out.begin(), out.end(),
            [&](std::size_t a, std::size_t b) { return back(parts[a].centre).x < back(parts[b].centre).x; });
  return out;
}

/// Where each of the polygons lies.
std::map<std::pair<int, int>, Lying> lying(const Project& p, const Drawing& drawing, const Rows& rows) {
  const Layout layout = lay_out(p, drawing);
  std::map<std::pair<int, int>, Lying> out;
  for (const auto& [piece, numbers] : rows) {
    const auto order = in_row(p, layout.parts, piece);
    REQUIRE(order.size() == numbers.size());
    for (std::size_t k = 0; k < order.size(); ++k) {
      const auto laid = std::find_if(layout.laid.begin(), layout.laid.end(),
                                     [&](const LaidPart& l) { return l.part == order[k] && l.copy == 1; });
      const Sheet* sheet = find_sheet(p, laid->sheet);
      if (!sheet) continue;
      const Place at = place_of(drawing, layout.parts[order[k]], laid->map, *sheet);
      const auto rounded = [](double v) { return std::round(v * 1e5) / 1e5; };
      const double turn = std::remainder(at.turn_deg, 360);
      out[{piece, numbers[k]}] = {at.sheet, rounded(at.at.x), rounded(at.at.y), rounded(turn)};
    }
  }
  return out;
}

Project by_hand(Project p) {
  for (auto& stock : p.stocks) stock.laid_out = LaidOut::by_hand;
  return p;
}

/// Every copy of every part somewhere on a sheet of its stock.
Project scattered(Project p, const Drawing& drawing, Chance& chance, int most_copies) {
  Layout layout = lay_out(p, drawing);
  for (std::size_t i = 0; i < layout.parts.size(); ++i) {
    p = set_copies(std::move(p), drawing, layout, {i}, chance.whole(1, most_copies));
    layout = lay_out(p, drawing);
    std::vector<int> sheets;
    for (const auto& sheet : p.sheets) {
      if (sheet.stock == layout.parts[i].stock) sheets.push_back(sheet.id);
    }
    for (int copy = 1; copy <= p.parts[layout.records[i]].copies; ++copy) {
      const int sheet = sheets[static_cast<std::size_t>(chance.whole(0, static_cast<int>(sheets.size()) - 1))];
      p = set_place(
          std::move(p), drawing, layout, i,
          {copy, sheet, chance.between(-180, 180), {chance.between(20, 280), chance.between(20, 280)}, false});
    }
  }
  return p;
}

std::map<std::string, double> stroke_mm(const Project& p, const Plan& plan) {
  std::map<std::string, double> out;
  for (const auto& pass : plan.passes) {
    for (const auto& stroke : pass.strokes)
      out[find_sheet(p, pass.sheet)->stock] += length_of({stroke.points(), false});
  }
  return out;
}

}  // namespace

TEST_CASE("as drawn, the demos lie on the mat as they stand in the figure, and nothing is copied") {
  for (const auto& name : kDemos) {
    INFO(name);
    const Derived d = derived(demo(name));
    CHECK(d.layout.as_figure());
    std::set<const DrawnPiece*> drawn;
    for (const auto& piece : d.drawing.pieces) drawn.insert(piece.get());
    std::size_t laid = 0;
    for (const auto& piece : d.layout.on_mats(0).pieces) laid += drawn.count(piece.get());
    CHECK(laid == d.drawing.pieces.size());
    for (const auto& pass : d.plan.passes) {
      for (const auto& stroke : pass.strokes) {
        const Part& part = d.layout.parts[d.layout.laid.at(stroke.laid).part];
        CHECK(std::any_of(part.lines.begin(), part.lines.end(),
                          [&](const PartLine& at) { return at.piece == stroke.piece && at.line == stroke.line; }));
      }
    }
  }
}

TEST_CASE("a sheet is a window onto the figure: what it shows lies there, moved as the window says") {
  Project p = project_of(R"(<path id="left" d="M40 40 h60 v60 h-60 z"/><path id="right" d="M340 40 h60 v50 h-60 z"/>)");
  p.sheets[0].area = Box::of(10, 20, 280, 280);
  p.sheets[0].window = {30, 30};
  const int other = add_sheet(p, p.sheets[0].stock);
  p.sheets[1].window = {300, 0};
  const Derived d = derived(p);
  REQUIRE(d.layout.laid.size() == 2);
  CHECK_FALSE(d.layout.as_figure());
  CHECK(d.layout.laid[0].sheet == 1);
  CHECK(d.layout.laid[1].sheet == other);
  REQUIRE(d.plan.passes.size() == 2);
  Box first, second;
  for (const Vec q : d.plan.passes[0].strokes.at(0).points()) first.add(q);
  for (const Vec q : d.plan.passes[1].strokes.at(0).points()) second.add(q);
  CHECK(first == Box::of(20, 30, 60, 60));
  CHECK(second == Box::of(40, 40, 60, 50));
  // The piece lies on both sheets, a part of it on each.
  CHECK(d.layout.on_mats(1).pieces.size() == 1);
  CHECK(d.layout.on_mats(2).pieces.size() == 1);
  const std::string svg = write_svg(p, d.layout, d.plan, {0, 1});
  INFO(svg);
  CHECK(svg.find("M 20 30") != std::string::npos);
  CHECK(svg.find("M 40 40") == std::string::npos);
}

TEST_CASE("a part lies where it was put: its centre there, turned from upright, on that sheet alone") {
  Project p = project_of(R"(<path id="edge" d="M50 50 h40 v20 h-40 z"/><path id="word" d="M55 60 h30"/>)");
  p = assign_role(std::move(p), {{1, "word"}}, Role::draw);
  const int second = add_sheet(p, p.sheets[0].stock);
  p.sheets[1].area = Box::of(100, 100, 150, 150);
  const Drawing d = drawn(p);
  p = set_place(p, d, lay_out(p, d), 0, {1, second, 90, {30, 50}, true});
  const Derived now = derived(p);
  REQUIRE(now.layout.laid.size() == 1);
  CHECK(now.layout.laid[0].pinned);
  CHECK_FALSE(now.layout.laid[0].drawn);
  REQUIRE(now.plan.passes.size() == 2);
  CHECK(now.plan.passes[0].sheet == second);
  const auto word = now.plan.passes[0].strokes.at(0).points();  // from left to right, a quarter turn counter-clockwise
  CHECK(std::min(distance(word.front(), {130, 165}), distance(word.back(), {130, 165})) < 1e-9);
  CHECK(std::min(distance(word.front(), {130, 135}), distance(word.back(), {130, 135})) < 1e-9);
  const Place back = place_of(d, now.layout.parts[0], now.layout.laid[0].map, p.sheets[1]);
  CHECK(distance(back.at, {30, 50}) < 1e-9);
  CHECK(back.turn_deg == Approx(90));
  // Moving and turning it in the figure changes nothing on the sheet.
  Project moved = turn_pieces(move_pieces(p, {1}, {70, 3}), d, {1}, 33);
  const Derived after = derived(moved);
  CHECK(after.plan.seconds == Approx(now.plan.seconds));
  const auto again = after.plan.passes[0].strokes.at(0).points();
  CHECK(distance(again.front(), word.front()) < 1e-6);
  // Given up, it lies as drawn again; told to wait, it is in no pass.
  CHECK(derived(clear_place(p, now.layout, 0, 1)).layout.as_figure());
  const Derived waits = derived(set_place(p, d, now.layout, 0, {1, 0, 0, {}, false}));
  CHECK(waits.layout.laid.at(0).sheet == 0);
  CHECK(waits.plan.passes.empty());
  // A sheet of another stock takes nothing of it.
  Project vinyl = p;
  vinyl.sheets[1].stock = "vinyl";
  CHECK(derived(vinyl).layout.as_figure());
}

TEST_CASE("laid out by hand, parts wait until they are placed, copies wait in any case") {
  Project p = by_hand(project_of(polygons(3, 4, 60)));
  Derived d = derived(p);
  REQUIRE(d.layout.laid.size() == 4);
  CHECK(d.plan.passes.empty());
  CHECK(d.layout.on_mats(0).pieces.empty());
  p = set_place(p, d.drawing, d.layout, 1, {1, 1, 0, {100, 100}, false});
  d = derived(p);
  REQUIRE(d.plan.passes.size() == 1);
  CHECK(d.plan.passes[0].strokes.size() == 1);
  p = set_copies(p, d.drawing, d.layout, {1}, 3);
  d = derived(p);
  CHECK(d.layout.laid.size() == 6);
  CHECK(d.plan.passes[0].strokes.size() == 1);
  p = set_place(p, d.drawing, d.layout, 1, {3, 1, 0, {200, 100}, false});
  CHECK(derived(p).plan.passes[0].strokes.size() == 2);
  p = set_copies(p, d.drawing, lay_out(p, d.drawing), {1}, 2);  // the third goes with its place
  CHECK(derived(p).plan.passes[0].strokes.size() == 1);
}

TEST_CASE("300 random projects, laid out any way: what is planned is as long as what is drawn, once for each copy") {
  Chance chance(1101);
  for (int round = 0; round < rounds(300); ++round) {
    INFO("round " << round);
    Project p = random_project(chance);
    for (int more = chance.whole(0, 2); more > 0; --more)
      add_sheet(p, p.sheets[static_cast<std::size_t>(chance.whole(0, static_cast<int>(p.sheets.size()) - 1))].stock);
    const Drawing drawing = drawn(p);
    const bool placed = round % 3 != 0;
    if (placed) p = scattered(by_hand(std::move(p)), drawing, chance, 3);
    p.plan.mirrored = chance.coin();
    const Derived d = derived(p);
    std::map<std::string, double> wanted;
    for (const auto& laid : d.layout.laid) {
      CHECK(laid.sheet != 0);
      CHECK(laid.drawn == !placed);
      const Part& part = d.layout.parts[laid.part];
      CHECK(find_sheet(p, laid.sheet)->stock == part.stock);
      for (const auto& at : part.lines) {
        const DrawnPiece* piece = find_drawn(d.drawing, at.piece);
        if (!runs(piece->piece->lines[at.line].role)) continue;
        wanted[part.stock] += length_of(piece->course(at.line, at.contour));
      }
    }
    const auto planned = stroke_mm(p, d.plan);
    for (const auto& [stock, mm] : wanted) {
      if (mm > 0) CHECK(planned.at(stock) == Approx(mm));
    }
    // Each run contour is worked once for each copy of its part, on its sheet and no other.
    std::map<std::size_t, std::size_t> strokes, contours;
    for (const auto& pass : d.plan.passes) {
      for (const auto& stroke : pass.strokes) {
        ++strokes[stroke.laid];
        CHECK(d.layout.laid.at(stroke.laid).sheet == pass.sheet);
      }
    }
    for (std::size_t k = 0; k < d.layout.laid.size(); ++k) {
      for (const auto& at : d.layout.parts[d.layout.laid[k].part].lines)
        if (runs(find_drawn(d.drawing, at.piece)->piece->lines[at.line].role)) ++contours[k];
    }
    CHECK(strokes == contours);
    // What goes out as SVG for a pass is as long as the pass, read again.
    for (std::size_t i = 0; round % 5 == 1 && i < d.plan.passes.size(); ++i) {
      const Pass& pass = d.plan.passes[i];
      double out = 0, run = 0;
      const auto art = read_svg(write_svg(p, d.layout, d.plan, {0, pass.index}), "pass.svg");
      REQUIRE(art);
      for (const auto& line : art->lines) out += length_of(line.path);
      for (const auto& stroke : pass.strokes) run += length_of(Polyline{stroke.points(), false});
      CHECK(out == Approx(run).epsilon(1e-4).margin(0.01));
    }
    // What is saved is what is read, to the byte, and lies the same.
    const std::string saved = to_json(p);
    const auto read = project_from_json(saved, "saved");
    REQUIRE(read);
    CHECK(*read == p);
    CHECK(to_json(*read) == saved);
  }
}

TEST_CASE("edits keep every part where it lies: sized, moved, turned, recoloured, shaped, undone") {
  Chance chance(33);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    Project p = new_project("rows");
    const int a = add_drawing(p, polygons(3, 7, 40)), b = add_drawing(p, polygons(4, 6, 90));
    p = move_pieces(std::move(p), {b}, {0, 2000});  // wherever the rows go, they do not come to lie in each other
    add_sheet(p, p.sheets[0].stock);
    DrawingCache cache;
    p = by_hand(std::move(p));
    p = scattered(p, evaluate(p, cache), chance, 1);
    Rows rows{{a, {3, 4, 5, 6, 7, 8, 9}}, {b, {4, 5, 6, 7, 8, 9}}};
    auto before = lying(p, evaluate(p, cache), rows);
    REQUIRE(before.size() == 13);
    std::vector<std::pair<Project, Rows>> past;
    std::string story;
    for (int edit = 0; edit < 8; ++edit) {
      const Drawing drawing = evaluate(p, cache);
      p.parts = remembered(p, drawing, lay_out(p, drawing).parts);
      past.emplace_back(p, rows);
      const int piece = chance.coin() ? a : b;
      switch (chance.whole(0, 9)) {
        case 0:
          p = sized(p, piece, chance.between(100, 300), std::nullopt);
          story += "sized ";
          break;
        case 1:
          p = edit_piece(std::move(p), piece, [](Piece& q) { q.aspect_locked = false; });
          p = sized(p, piece, chance.between(90, 200), chance.between(12, 30));
          story += "stretched ";
          break;
        case 2:
          p = move_pieces(std::move(p), {piece}, {chance.between(-300, 300), 11});
          story += "moved ";
          break;
        case 3:
          p = turn_pieces(std::move(p), drawing, {piece}, chance.between(-180, 180));
          story += "turned ";
          break;
        case 4:
          p = assign_role(std::move(p), lines_of_piece(drawing, piece), Role::cut);
          story += "coloured ";
          break;
        case 5: {
          Step step{0, "offset", true, {{"by", 0.05}, {"corners", std::string("mitre")}}, {}, {}};
          if (auto next = add_step(p, piece, step)) p = *next;
          story += "offset ";
          break;
        }
        case 6: {  // one of its contours is left out: the others are numbered anew
          if (rows[piece].size() < 4) break;
          const auto all = parts_of(p, drawing);
          const auto k = static_cast<std::size_t>(chance.whole(0, static_cast<int>(rows[piece].size()) - 1));
          const Part& gone = all[in_row(p, all, piece)[k]];
          const DrawnPiece* d = find_drawn(drawing, piece);
          const Vec corner = d->course(gone.first.line, gone.first.contour).points.front();
          before.erase({piece, rows[piece][k]});
          rows[piece].erase(rows[piece].begin() + static_cast<std::ptrdiff_t>(k));
          p = pick_contour(p, drawing, piece, corner, false);
          story += "dropped ";
          break;
        }
        case 7:
          p = shift_layer(std::move(p), piece, 1);
          p = rename_piece(std::move(p), piece, "Buoys");
          story += "shifted ";
          break;
        case 8:
          p = mirror_pieces(std::move(p), drawing, {piece}, true);
          story += "mirrored ";
          break;
        default: {
          const auto back = static_cast<std::size_t>(chance.whole(0, static_cast<int>(past.size()) - 1));
          std::tie(p, rows) = past[back];
          past.resize(back + 1);
          before = lying(p, evaluate(p, cache), rows);
          story += "undone ";
        }
      }
      INFO(story);
      const Drawing now = evaluate(p, cache);
      const auto after = lying(p, now, rows);
      REQUIRE(after.size() == before.size());
      for (const auto& [part, at] : before) {
        INFO("piece " << part.first << ", polygon " << part.second);
        REQUIRE(after.at(part) == at);
      }
    }
  }
}

TEST_CASE("what is remembered goes with its piece, waits for a step to be switched on again, and is given once") {
  Project p = by_hand(project_of(polygons(3, 5, 60)));
  Chance chance(4);
  Drawing d = drawn(p);
  p = scattered(std::move(p), d, chance, 1);
  const Rows rows{{1, {3, 4, 5, 6, 7}}};
  const auto before = lying(p, d, rows);
  CHECK(remembered(p, d, parts_of(p, d)) == p.parts);
  // Left out by a step that is switched off later.
  const Part gone = parts_of(p, d)[2];
  const DrawnPiece* piece = find_drawn(d, 1);
  Project fewer = pick_contour(p, d, 1, piece->course(0, gone.first.contour).points.front(), false);
  Drawing few = drawn(fewer);
  REQUIRE(parts_of(fewer, few).size() == 4);
  fewer.parts = remembered(fewer, few, parts_of(fewer, few));
  CHECK(fewer.parts.size() == 5);
  fewer.pieces[0].edit([](Piece& q) { q.steps.front().on = false; });
  const Drawing all = drawn(fewer);
  CHECK(lying(fewer, all, rows) == before);
  // Twins do not share one record.
  Project twice = duplicate_piece(p, 1);
  d = drawn(twice);
  const Layout layout = lay_out(twice, d);
  CHECK(layout.parts.size() == 10);
  CHECK(std::count(layout.records.begin(), layout.records.end(), npos) == 5);
  std::set<std::size_t> used(layout.records.begin(), layout.records.end());
  CHECK(used.size() == 6);
  // The piece goes, and what was remembered of its parts.
  Project none = remove_pieces(twice, {1});
  d = drawn(none);
  CHECK(remembered(none, d, parts_of(none, d)).empty());
}

TEST_CASE("a file of version 1 opens as it looked: its sheets are windows at their own place") {
  const std::string text = R"({"format":"dot-lane project","version":1,"name":"Old card",
    "sheets":[{"id":1,"stock":"cover-65","load":1,"area_mm":[20,30,200,150]}],
    "pieces":[{"id":1,"name":"Card","stock":"cover-65","placement":[1,0,0,1,5,6],
      "lines":[{"id":"a","role":"cut","tool":"fine-blade","color":"#222222","d":"M 50 60 L 90 60 L 90 100 Z"}]}]})";
  const auto p = project_from_json(text, "old.dotlane");
  REQUIRE(p);
  CHECK(p->sheets[0].window == Vec{20, 30});
  CHECK(derived(*p).layout.as_figure());
  const std::string now = to_json(*p);
  CHECK(now.find("\"version\": 2") != std::string::npos);
  const auto again = project_from_json(now, "new.dotlane");
  REQUIRE(again);
  CHECK(*again == *p);
  CHECK(hpgl_of(compile(derived(*again).plan, again->machine)).text ==
        hpgl_of(compile(derived(*p).plan, p->machine)).text);
  // What comes after this version is refused by its number.
  std::string newer = now;
  newer.replace(newer.find("\"version\": 2"), 12, "\"version\": 3");
  const auto refused = project_from_json(newer, "newer.dotlane");
  REQUIRE_FALSE(refused);
  CHECK(line_of(refused.error()).find("version 3") != std::string::npos);
  CHECK(line_of(refused.error()).find("up to 2") != std::string::npos);
}

TEST_CASE("shelf, scraps, copies and places are saved, what cannot be is refused with its place") {
  Project p = project_of(polygons(3, 2, 60));
  p.shelf.push_back({1, "cover-65", 304.8, 304.8, 12, {}, "", {}});
  p.shelf.push_back({2, "cover-65", 120, 80, 1, {{{0, 0}, {120, 0}, {120, 80}, {40, 80}}}, "fair pennants", {}});
  p.shelf.push_back({3, "vinyl", 300, 1000, std::nullopt, {}, "", {}});
  p.sheets[0].outline = p.shelf[1].outline;
  p.sheets[0].shelf = 2;
  p.stocks[0].laid_out = LaidOut::packed;
  p.stocks[1].grain = Grain::across;
  const Drawing d = drawn(p);
  p = set_copies(p, d, lay_out(p, d), {0}, 6);
  p = set_place(p, d, lay_out(p, d), 0, {4, 1, 12.5, {30, 40}, true});
  const auto read = project_from_json(to_json(p), "saved");
  REQUIRE(read);
  CHECK(*read == p);
  const auto spoiled = [&](const std::string& from, const std::string& to) {
    std::string text = to_json(p);
    REQUIRE(text.find(from) != std::string::npos);
    text.replace(text.find(from), from.size(), to);
    const auto bad = project_from_json(text, "spoiled");
    return bad ? std::string("read") : line_of(bad.error());
  };
  CHECK(spoiled("\"copies\": 6", "\"copies\": 0").find("parts[0].copies") != std::string::npos);
  CHECK(spoiled("\"copy\": 4", "\"copy\": 4000").find("parts[0].places[0].copy") != std::string::npos);
  CHECK(spoiled("\"turn_deg\": 12.5", "\"turn_deg\": 1e12").find("places[0].turn_deg") != std::string::npos);
  CHECK(spoiled("\"grain\": \"across\"", "\"grain\": \"along\"").find("stocks[1].grain") != std::string::npos);
  CHECK(spoiled("\"laid_out\": \"packed\"", "\"laid_out\": \"piled\"").find("as-drawn, packed, by-hand") !=
        std::string::npos);
  CHECK(spoiled("\"count\": 12", "\"count\": -1").find("shelf[0].count") != std::string::npos);
}
