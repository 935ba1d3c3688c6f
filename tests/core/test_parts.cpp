// Parts: what comes off a sheet as one, on worked examples and on random projects.
#include "core/layout/parts.hpp"

#include <map>
#include <set>

#include "chance.hpp"
#include "core/geometry/clusters.hpp"
#include "core/geometry/region_edges.hpp"
#include "core/geometry/within.hpp"
#include "core/project/arrange.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "random_projects.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::vector<Part> parts(const Project& project) { return parts_of(project, drawn(project)); }

/// One more piece, of the project's first stock unless said otherwise.
int add(Project& p, const std::string& name, const std::string& body) {
  const int id = add_drawing(p, body);
  p = rename_piece(std::move(p), id, name);
  return id;
}

void give(Project& p, int piece, const std::string& line, Role role) {
  p = assign_role(std::move(p), {{piece, line}}, role);
}

const Part& called(const std::vector<Part>& all, const std::string& name) {
  for (const auto& part : all) {
    if (part.name == name) return part;
  }
  FAIL("no part " << name);
  return all.front();
}

/// The ids of a part's lines, each once.
std::set<std::string> lines_in(const Project& p, const Part& part) {
  std::set<std::string> out;
  for (const auto& at : part.lines) out.insert(find_piece(p, at.piece)->lines[at.line].id);
  return out;
}

/// Which contours are together: what parts say, whatever their numbers and names.
std::set<std::set<PartLine>> together(const std::vector<Part>& all) {
  std::set<std::set<PartLine>> out;
  for (const auto& part : all) out.insert(std::set<PartLine>(part.lines.begin(), part.lines.end()));
  return out;
}

/// Every contour that runs or is printed, of pieces that are not helpers.
std::multiset<PartLine> wanted(const Drawing& drawing) {
  std::multiset<PartLine> out;
  for (const auto& d : drawing.pieces) {
    if (d->piece->helper) continue;
    for (std::size_t l = 0; l < d->piece->lines.size(); ++l) {
      if (d->piece->lines[l].role == Role::guide) continue;
      for (std::size_t c = 0; c < d->flat->lines[l].polylines->size(); ++c) out.insert({d->piece->id, l, c});
    }
  }
  return out;
}

std::multiset<PartLine> held(const std::vector<Part>& all) {
  std::multiset<PartLine> out;
  for (const auto& part : all) out.insert(part.lines.begin(), part.lines.end());
  return out;
}

/// The share of a polyline that lies in the region, by points set evenly along it.
double sampled_share(const Polyline& line, const Region& region) {
  const double length = length_of(line);
  if (length <= 0) return encloses(region, line.points.front()) ? 1 : 0;
  constexpr int n = 400;
  int inside = 0, k = 0;
  double gone = 0;
  for (std::size_t i = 1; i < line.points.size(); ++i) {
    const Vec a = line.points[i - 1], b = line.points[i];
    const double l = distance(a, b);
    while (k < n && (k + 0.5) / n * length <= gone + l) {
      inside += encloses(region, a + (b - a) * (l > 0 ? ((k + 0.5) / n * length - gone) / l : 0)) ? 1 : 0;
      ++k;
    }
    gone += l;
  }
  return static_cast<double>(inside) / n;
}

}  // namespace

TEST_CASE("a greeting on a card base is one part with it, whichever piece it came from") {
  Project p = new_project("card");
  const int base = add(p, "Card base",
                       R"(<path id="edge" d="M20 20 h100 v70 h-100 z"/><path id="window" d="M30 30 h20 v20 h-20 z"/>
                          <path id="fold" d="M70 15 v80"/>)");
  give(p, base, "fold", Role::score);
  const int words =
      add(p, "Greeting", R"(<path id="hello" d="M80 40 h30"/><path id="guide" d="M75 35 h40 v20 h-40 z"/>)");
  give(p, words, "hello", Role::draw);
  give(p, words, "guide", Role::guide);
  const auto all = parts(p);
  REQUIRE(all.size() == 1);
  const Part& card = all.front();
  CHECK(card.name == "Card base");
  CHECK(card.number == 1);
  CHECK(card.key == PartKey{base, "edge", 0});
  CHECK(lines_in(p, card) == std::set<std::string>{"edge", "window", "fold", "hello"});
  CHECK(card.area_mm2 == Approx(100 * 70 - 20 * 20));
  CHECK(holes_in(card.body()) == 1);
  CHECK(card.bounds().height() == Approx(70));
  // The fold runs over the edge: the part reaches as far.
  CHECK(card.reach.y0 == Approx(15));
  CHECK(card.reach.y1 == Approx(95));
}

TEST_CASE("stocks do not mix, helpers belong to nothing") {
  Project p = new_project("layers");
  const int below = add(p, "Mat", R"(<path id="edge" d="M20 20 h100 v70 h-100 z"/>)");
  const int above = add(p, "Frame", R"(<path id="edge" d="M30 30 h60 v40 h-60 z"/>)");
  CHECK(parts(p).size() == 1);
  p = set_stock(p, above, p.stocks.back().id);
  REQUIRE(parts(p).size() == 2);
  CHECK(called(parts(p), "Frame").stock == p.stocks.back().id);
  CHECK(called(parts(p), "Mat").area_mm2 == Approx(7000));
  p = set_helper(std::move(p), below, true);
  REQUIRE(parts(p).size() == 1);
  CHECK(parts(p).front().name == "Frame");
}

TEST_CASE("parts of one name are numbered in the order of the drawing") {
  Project p = new_project("heron");
  add(p, "Heron neck",
      R"(<path id="a" d="M10 10 h20 v10 h-20 z M50 10 h20 v10 h-20 z"/><path id="b" d="M90 10 h20 v10 h-20 z"/>)");
  add(p, "Eye", R"(<circle id="iris" cx="200" cy="200" r="4"/>)");
  const auto all = parts(p);
  REQUIRE(all.size() == 4);
  std::vector<std::string> names;
  for (const auto& part : all) names.push_back(part.name);
  CHECK(names == std::vector<std::string>{"Eye", "Heron neck 1", "Heron neck 2", "Heron neck 3"});
  for (std::size_t i = 0; i < all.size(); ++i) CHECK(all[i].number == static_cast<int>(i) + 1);
  CHECK(all[2].bounds().x0 == Approx(50));
  CHECK(all[2].key.contour == 1);
  CHECK(all[0].area_mm2 == Approx(16 * 3.14159265358979).epsilon(0.001));
}

TEST_CASE("what lies in a hole, and what lies in that, stays with the outline around it all") {
  Project p = new_project("rings");
  add(p, "Rings",
      R"(<circle id="r1" cx="100" cy="100" r="50"/><circle id="r2" cx="100" cy="100" r="40"/>
         <circle id="r3" cx="100" cy="100" r="30"/><circle id="r4" cx="100" cy="100" r="20"/>)");
  const auto all = parts(p);
  REQUIRE(all.size() == 1);
  CHECK(all[0].lines.size() == 4);
  CHECK(all[0].area_mm2 == Approx(3.14159265358979 * (2500 - 1600 + 900 - 400)).epsilon(0.001));
}

TEST_CASE("contours cut twice are one outline and one hole") {
  Project p = new_project("twice");
  add(p, "Tag", R"(<path id="a" d="M20 20 h60 v40 h-60 z"/><path id="b" d="M80 60 h-60 v-40 h60 z"/>
                   <path id="c" d="M20.02 20.02 h59.97 v39.97 h-59.97 z"/>
                   <circle id="h1" cx="30" cy="40" r="4"/><circle id="h2" cx="30.01" cy="40" r="4"/>)");
  const auto all = parts(p);
  REQUIRE(all.size() == 1);
  CHECK(all[0].lines.size() == 5);
  CHECK(holes_in(all[0].body()) == 1);
  CHECK(all[0].area_mm2 == Approx(2400 - 16 * 3.14159265358979).epsilon(0.001));
}

TEST_CASE("a line across two outlines goes with the one that holds most of it") {
  Project p = new_project("across");
  const int id =
      add(p, "Pair", R"(<path id="left" d="M20 20 h40 v40 h-40 z"/><path id="right" d="M70 20 h40 v40 h-40 z"/>
                                  <path id="swell" d="M50 40 H100"/><path id="far" d="M10 200 h20"/>
                                  <path id="stub" d="M108 30 h30"/>)");
  for (const char* line : {"swell", "far", "stub"}) give(p, id, line, Role::draw);
  const auto all = parts(p);
  REQUIRE(all.size() == 3);
  CHECK(lines_in(p, all[0]) == std::set<std::string>{"left"});
  // 30 of the swell lie in the right one, 10 in the left; of the stub only 2 mm lie anywhere, and that is most of it.
  CHECK(lines_in(p, all[1]) == std::set<std::string>{"right", "swell", "stub"});
  CHECK(all[1].reach.x1 == Approx(138));
  CHECK(all[1].reach.x0 == Approx(50));
  CHECK(all[1].bounds().x1 == Approx(110));
  CHECK(lines_in(p, all[2]) == std::set<std::string>{"far"});
  CHECK(!all[2].has_body());
  CHECK(all[2].area_mm2 == 0);
}

TEST_CASE("outlines that cross stay two parts until one holds most of the other") {
  auto overlapping = [](double by) {
    Project p = new_project("cross");
    add(p, "A", "<path id='a' d='M20 20 h40 v40 h-40 z'/>");
    add(p, "B", "<path id='b' d='M" + std::to_string(60 - by) + " 25 h30 v30 h-30 z'/>");
    return parts(p);
  };
  CHECK(overlapping(10).size() == 2);
  const auto most = overlapping(25);
  REQUIRE(most.size() == 1);
  CHECK(most[0].name == "A");
  CHECK(most[0].area_mm2 == Approx(1600));  // what runs over the edge is no hole
  CHECK(most[0].reach.x1 == Approx(65));
}

TEST_CASE("without a cut outline, lines lie on blanks, else in clusters of their piece") {
  Project p = new_project("blanks");
  const int blank = add(p, "Brass blank",
                        R"(<path id="edge" d="M20 20 h60 v40 h-60 z"/><path id="safe" d="M24 24 h52 v32 h-52 z"/>)");
  give(p, blank, "edge", Role::guide);
  give(p, blank, "safe", Role::guide);
  CHECK(parts(p).empty());  // a blank with nothing on it is no part
  const int name = add(p, "Name", R"(<path id="n1" d="M30 30 h20"/><path id="n2" d="M30 40 h20"/>)");
  give(p, name, "n1", Role::engrave);
  give(p, name, "n2", Role::engrave);
  const int loose = add(
      p, "Dots", R"(<path id="d1" d="M150 150 h4"/><path id="d2" d="M158 150 h4"/><path id="d3" d="M200 150 h4"/>)");
  for (const char* line : {"d1", "d2", "d3"}) give(p, loose, line, Role::draw);
  const auto all = parts(p);
  REQUIRE(all.size() == 3);
  const Part& tag = called(all, "Brass blank");
  CHECK(tag.area_mm2 == Approx(2400));  // the outermost guide
  CHECK(lines_in(p, tag) == std::set<std::string>{"n1", "n2"});
  CHECK(lines_in(p, called(all, "Dots 1")) == std::set<std::string>{"d1", "d2"});  // 4 mm apart
  CHECK(lines_in(p, called(all, "Dots 2")) == std::set<std::string>{"d3"});
}

TEST_CASE("odd contours find a part: crossing themselves, without area, without length") {
  Project p = new_project("odd");
  add(p, "Odd", R"(<path id="eight" d="M20 20 L60 60 L60 20 L20 60 Z"/><path id="flat" d="M100 20 h40 h-40 z"/>
                   <path id="dot" d="M160 20 h0"/><path id="slit" d="M100 60 h40"/>)");
  const Drawing d = drawn(p);
  const auto all = parts_of(p, d);
  CHECK(held(all) == wanted(d));
  CHECK(called(all, "Odd 1").area_mm2 == Approx(800));
}

TEST_CASE("a lace of thousands of holes is one part") {
  std::string d = "M5 5 h290 v290 h-290 z";
  for (int i = 0; i < 56; ++i) {
    for (int k = 0; k < 56; ++k)
      d += "M" + std::to_string(8 + i * 5) + " " + std::to_string(8 + k * 5) + " h3 v3 h-3 z";
  }
  Project p = new_project("lace");
  add(p, "Lace", "<path id='all' d='" + d + "'/>");
  const auto all = parts(p);
  REQUIRE(all.size() == 1);
  CHECK(all[0].lines.size() == 56 * 56 + 1);
  CHECK(all[0].area_mm2 == Approx(290 * 290 - 56 * 56 * 9));
}

TEST_CASE("every contour of every demo is in exactly one part, and bodies of a stock are what GEOS says") {
  for (const auto& name : kDemos) {
    INFO(name);
    const Project p = demo(name);
    const Drawing d = drawn(p);
    const auto all = parts_of(p, d);
    CHECK(held(all) == wanted(d));
    std::set<PartKey> keys;
    for (const auto& part : all) {
      CHECK(keys.insert(part.key).second);
      CHECK(part.reach.grown(1e-6).contains(part.bounds()));
      if (!part.has_body()) continue;
      const dotlane::test::Figures figures = figures_of(part.body());
      CHECK(figures.area == Approx(part.area_mm2).epsilon(1e-6));
      for (const auto& other : all) {
        if (&other == &part || other.stock != part.stock || !other.has_body()) continue;
        CHECK(geos_boolean(part.body(), other.body(), Boolean::overlap).area <
              0.5 * std::min(part.area_mm2, other.area_mm2));
      }
    }
  }
}

TEST_CASE("300 random projects: every contour is in exactly one part, the one that holds most of it") {
  Chance chance(1311);
  std::size_t outlined = 0, crossing = 0;
  for (int round = 0; round < rounds(300); ++round) {
    INFO("round " << round);
    const Project p = random_project(chance);
    const Drawing d = drawn(p);
    const auto all = parts_of(p, d);
    REQUIRE(held(all) == wanted(d));
    // Lengths by stock are those of the drawing.
    std::map<std::string, double> drawn_mm, parts_mm;
    auto polyline = [&](const PartLine& at) {
      const DrawnPiece* piece = find_drawn(d, at.piece);
      return piece->course(at.line, at.contour);
    };
    for (const auto& at : wanted(d)) drawn_mm[find_piece(p, at.piece)->stock] += length_of(polyline(at));
    for (const auto& part : all) {
      for (const auto& at : part.lines) {
        CHECK(find_piece(p, at.piece)->stock == part.stock);
        parts_mm[part.stock] += length_of(polyline(at));
      }
    }
    REQUIRE(drawn_mm.size() == parts_mm.size());
    for (const auto& [stock, mm] : drawn_mm) CHECK(parts_mm.at(stock) == Approx(mm));
    // Outlines without their holes, each by the contour that makes it.
    struct Outline {
      const Part* part;
      PartLine at;
      Region region;
    };
    std::vector<Outline> outlines;
    for (const auto& part : all) {
      const Piece& piece = *find_drawn(d, part.key.piece)->piece;
      for (std::size_t l = 0; l < piece.lines.size(); ++l) {
        if (piece.lines[l].id != part.key.line || !part.has_body() || piece.lines[l].role != Role::cut) continue;
        const PartLine at{piece.id, l, part.key.contour};
        Ring ring = polyline(at).points;
        ring.pop_back();
        outlines.push_back({&part, at, region_of({ring}, FillRule::nonzero)});
      }
    }
    outlined += outlines.size();
    for (const auto& part : all) {
      for (const auto& at : part.lines) {
        double own = 0, others = 0;
        bool is_outline = false;
        for (const auto& o : outlines) {
          if (o.part->stock != part.stock) continue;
          is_outline = is_outline || o.at == at;
          const double share = sampled_share(polyline(at), offset(o.region, 0.05, {Corners::mitre}));
          if (o.part == &part) own = share;
          if (o.part != &part) others = std::max(others, share);
          crossing += share > 0.05 && share < 0.95 ? 1 : 0;
        }
        if (is_outline) {
          CHECK(others < 0.53);  // else it would lie within that one
        } else if (part.has_body() && own > 0) {
          CHECK(own > others - 0.03);
        } else if (!part.has_body()) {
          CHECK(others < 0.03);
        }
      }
    }
  }
  CHECK(outlined > static_cast<std::size_t>(rounds(300)));
  CHECK(crossing > static_cast<std::size_t>(rounds(300)));
}

TEST_CASE("parts are the same wherever the drawing stands, however it is turned, and in any order of pieces") {
  Chance chance(77);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    const Project p = random_project(chance);
    const auto before = together(parts(p));
    Project moved = p;
    const Affine map = Affine::move(31.5, -12.25) * Affine::rotate(90) * Affine::scale(-1, 1);
    for (auto& piece : moved.pieces) piece.edit([&](Piece& q) { q.placement = map * q.placement; });
    CHECK(together(parts(moved)) == before);
    Project turned = p;
    std::reverse(turned.pieces.begin(), turned.pieces.end());
    // Equal outlines are told apart by their order alone; their contours are still together.
    CHECK(held(parts(turned)) == held(parts(p)));
    CHECK(parts(turned).size() == before.size());
  }
}

TEST_CASE("a part keeps its key while its piece is moved, sized, renamed and recoloured") {
  const Project p = demo("fair-stall");
  DrawingCache cache;  // what an edit leaves alone is not worked out again
  auto all_of = [&](const Project& q) { return parts_of(q, evaluate(q, cache)); };
  auto keys = [&](const Project& q) {
    std::set<PartKey> out;
    for (const auto& part : all_of(q)) out.insert(part.key);
    return out;
  };
  const auto before = keys(p);
  for (const auto& piece : p.pieces) {
    const Part* own = nullptr;
    const auto all = all_of(p);
    for (const auto& part : all) {
      if (part.key.piece == piece->id) own = &part;
    }
    if (!own) continue;
    INFO(piece->name);
    CHECK(keys(move_pieces(p, {piece->id}, {600, 0})).count(own->key));
    CHECK(keys(turn_pieces(p, evaluate(p, cache), {piece->id}, 30)).count(own->key));
    CHECK(keys(rename_piece(p, piece->id, "Kiosk")) == before);
    CHECK(keys(set_stock(p, piece->id, "vinyl")).count(own->key));
  }
}

TEST_CASE("boxes that touch, directly or through others, are one cluster") {
  Chance chance(5);
  CHECK(touching({}).empty());
  CHECK(touching({Box{}, Box{}}).size() == 2);
  for (int round = 0; round < rounds(200); ++round) {
    std::vector<Box> boxes;
    for (int i = chance.whole(0, 40); i > 0; --i)
      boxes.push_back(Box::of(chance.whole(0, 60), chance.whole(0, 60), chance.whole(0, 8), chance.whole(0, 8)));
    // By spreading from box to box.
    std::vector<int> of(boxes.size(), -1);
    int n = 0;
    for (std::size_t i = 0; i < boxes.size(); ++i) {
      if (of[i] >= 0) continue;
      std::vector<std::size_t> todo{i};
      of[i] = n;
      while (!todo.empty()) {
        const std::size_t at = todo.back();
        todo.pop_back();
        for (std::size_t k = 0; k < boxes.size(); ++k) {
          if (of[k] < 0 && boxes[at].overlaps(boxes[k])) of[k] = n, todo.push_back(k);
        }
      }
      ++n;
    }
    const auto clusters = touching(boxes);
    REQUIRE(clusters.size() == static_cast<std::size_t>(n));
    std::size_t all = 0;
    for (const auto& cluster : clusters) {
      all += cluster.size();
      for (const std::size_t k : cluster) CHECK(of[k] == of[cluster.front()]);
    }
    CHECK(all == boxes.size());
  }
}

TEST_CASE("how much of a line lies within an area") {
  const Region frame = subtract(region_of({{{0, 0}, {40, 0}, {40, 40}, {0, 40}}}, FillRule::nonzero),
                                region_of({{{10, 10}, {30, 10}, {30, 30}, {10, 30}}}, FillRule::nonzero));
  const Within within(frame);
  const RegionEdges edges(frame);
  const Polyline through{{{-10, 20}, {50, 20}}, false}, edge{{{0, 0}, {40, 0}}, false}, away{{{50, 0}, {60, 9}}, false};
  const Polyline past{{{-5, 10}, {45, 10}}, false};  // along the edge of the hole, and over both ends
  CHECK(edges.length_within(through) == Approx(20));
  CHECK(edges.length_within(past) == Approx(40));
  CHECK_FALSE(within.holds(through));
  CHECK_FALSE(edges.holds(through));
  CHECK(within.holds(edge));
  CHECK(edges.holds(edge));
  CHECK(edges.length_within(edge) == Approx(40));
  CHECK(edges.length_within(away) == 0);
  CHECK(within.holds({{{5, 5}, {5, 5}}, false}));
  CHECK(edges.holds({{{5, 5}, {5, 5}}, false}));
  CHECK(edges.length_within({{{5, 5}}, false}) == 0);
  // Against sampling, on shapes of every sort.
  Chance chance(909);
  for (int round = 0; round < rounds(300); ++round) {
    const Region region = region_of(chance.rings(), chance.rule());
    if (region.empty()) continue;
    Polyline line{chance.ring(), false};
    if (chance.coin()) line.points.push_back(line.points.front()), line.closed = true;
    INFO("round " << round);
    const RegionEdges found(region);
    const double length = found.length_within(line);
    CHECK(length == Approx(sampled_share(line, region) * length_of(line)).margin(0.02 * length_of(line) + 0.2));
    CHECK(found.holds(line) == Within(region).holds(line));
    // What is clipped is what lies within, and the rest is the rest.
    double inside = 0, outside = 0;
    for (const auto& run : clip({line}, region, true)) inside += length_of(run);
    for (const auto& run : clip({line}, region, false)) outside += length_of(run);
    CHECK(inside == Approx(length).margin(1e-3));
    CHECK(inside + outside == Approx(length_of(line)).margin(1e-3));
  }
}
