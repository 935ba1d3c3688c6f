// Parts of a project packed onto sheets of its stocks: all of them, apart, inside, and the plan as long as the drawing.
#include "core/layout/nest.hpp"
#include "core/layout/room.hpp"

#include <map>
#include <set>

#include "core/geometry/clearance.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/pack/settle.hpp"
#include "geos_oracle.hpp"
#include "random_projects.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Project packed(Project p, const NestOptions& options, int rounds = 0) {
  DrawingCache cache;
  const Drawing drawing = evaluate(p, cache);
  std::set<std::string> stocks;
  for (const auto& part : lay_out(p, drawing).parts) stocks.insert(part.stock);
  for (const auto& stock : stocks) {
    const Layout layout = lay_out(p, drawing);
    const Nest nest = nest_of(p, drawing, layout, stock, options);
    pack::Packer packer(nest.task);
    for (int i = 0; i < rounds; ++i) packer.improve();
    p = nested(std::move(p), drawing, layout, nest, pack::settled(nest.task, packer.best()));
  }
  return p;
}

Region on_mat(const Drawing& drawing, const Layout& layout, const LaidPart& laid) {
  const Part& part = layout.parts[laid.part];
  const Affine frame = frame_of(find_drawn(drawing, part.key.piece)->map).to_figure;
  return transformed(packed_shape(drawing, part), laid.map * frame);
}

void check_apart(const Project& p, const Derived& d, double gap) {
  for (const auto& sheet : p.sheets) {
    std::vector<Region> bodies;
    for (const auto& laid : d.layout.laid) {
      if (laid.sheet == sheet.id) bodies.push_back(on_mat(d.drawing, d.layout, laid));
    }
    for (std::size_t i = 0; i < bodies.size(); ++i) {
      CHECK(p.machine.usable_area().grown(0.01).contains(bounds_of(bodies[i])));
      CHECK(sheet.area.grown(0.01).contains(bounds_of(bodies[i])));
      const Clearance own(bodies[i]);
      for (std::size_t k = i + 1; k < bodies.size(); ++k) CHECK(own.keeps(gap - 0.01, Clearance(bodies[k]), {0, 0}));
    }
  }
}

std::string boxes(std::initializer_list<std::pair<double, double>> sizes) {
  std::string out;
  double x = 0;
  int n = 0;
  for (const auto& [w, h] : sizes) {
    out += "<rect id='b" + std::to_string(++n) + "' x='" + std::to_string(x) + "' y='0' width='" + std::to_string(w) +
           "' height='" + std::to_string(h) + "'/>";
    x += w + 5;
  }
  return out;
}

}  // namespace

TEST_CASE("random projects packed: every part somewhere, apart and inside, planned as long as drawn") {
  Chance chance(606);
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    Project p = random_project(chance);
    const double gap = chance.between(0.5, 4);
    p = packed(std::move(p), {gap, turns_in_steps(chance.coin() ? 90 : 0), 1});
    const Derived d = derived(p);
    check_apart(p, d, gap);
    std::map<std::string, double> drawn_mm, planned_mm;
    for (const auto& laid : d.layout.laid) {
      CHECK_FALSE(laid.drawn);
      if (laid.sheet == 0) {
        const Box b = bounds_of(packed_shape(d.drawing, d.layout.parts[laid.part]));
        CHECK(std::max(b.width(), b.height()) > 100);  // it must be large not to fit
        continue;
      }
      for (const auto& at : d.layout.parts[laid.part].lines) {
        const DrawnPiece* piece = find_drawn(d.drawing, at.piece);
        if (runs(piece->piece->lines[at.line].role))
          drawn_mm[d.layout.parts[laid.part].stock] += length_of(piece->course(at.line, at.contour));
      }
    }
    for (const auto& pass : d.plan.passes) {
      for (const auto& s : pass.strokes)
        planned_mm[find_sheet(p, pass.sheet)->stock] += length_of(Polyline{s.points(), false});
    }
    for (const auto& [stock, mm] : drawn_mm) CHECK((mm == 0 || planned_mm.at(stock) == Approx(mm)));
    CHECK(project_from_json(to_json(p), "packed").value() == p);
  }
}

TEST_CASE("six of each fit the sheets they need, what is pinned stays and is kept clear of") {
  Project p = project_of(boxes({{90, 90}, {60, 40}}));
  DrawingCache cache;
  const Drawing drawing = evaluate(p, cache);
  p = set_copies(p, drawing, lay_out(p, drawing), {0}, 6);
  p = set_copies(p, drawing, lay_out(p, drawing), {1}, 6);
  p = set_place(p, drawing, lay_out(p, drawing), 0, {1, 1, 30, {150, 150}, true});
  const int first = p.sheets[0].id;
  p = packed(std::move(p), {2, turns_in_steps(90), 1}, 2);
  const Derived d = derived(p);
  CHECK(d.layout.laid.size() == 12);
  CHECK(std::none_of(d.layout.laid.begin(), d.layout.laid.end(), [](const LaidPart& l) { return l.sheet == 0; }));
  check_apart(p, d, 2);
  const LaidPart& pinned = d.layout.laid[0];
  CHECK(pinned.pinned);
  CHECK(pinned.sheet == first);
  CHECK(distance(pinned.map(d.layout.parts[0].centre), {150, 150}) < 1e-9);
  CHECK(p.sheets.size() == 2);
}

TEST_CASE("the shelf: scraps first and smallest first, no more than there are, the rest waits") {
  Project p = project_of(boxes({{50, 50}, {90, 60}, {200, 200}, {200, 210}}));
  p.shelf.push_back({1, p.sheets[0].stock, 250, 250, 1, {}, "", {}});
  p.shelf.push_back({2, p.sheets[0].stock, 120, 80, 1, {{{0, 0}, {120, 0}, {120, 80}, {0, 80}}}, "", {}});
  p.shelf.push_back({3, p.sheets[0].stock, 60, 60, 1, {{{0, 0}, {60, 0}, {60, 60}, {0, 60}}}, "", {}});
  p = packed(std::move(p), {2, {0}, 1});
  const Derived d = derived(p);
  std::map<int, int> shelf_of;  // by part
  for (const auto& laid : d.layout.laid)
    shelf_of[static_cast<int>(laid.part)] = laid.sheet == 0 ? 0 : find_sheet(p, laid.sheet)->shelf;
  CHECK(shelf_of[0] == 3);
  CHECK(shelf_of[1] == 2);
  CHECK(shelf_of[2] + shelf_of[3] == 1);  // one of the large ones found its sheet, the other waits
  check_apart(p, d, 2);
}

TEST_CASE("with the grain, parts stand upright or upside down") {
  Project p = project_of(boxes({{120, 40}, {100, 30}, {80, 20}}));
  for (const Grain grain : {Grain::upright, Grain::across}) {
    for (auto& stock : p.stocks) stock.grain = grain;
    const Project now = packed(p, {2, turns_in_steps(15), 1}, 2);
    for (const auto& record : now.parts) {
      REQUIRE(record.places.size() == 1);
      const double off = std::remainder(record.places[0].turn_deg - (grain == Grain::across ? 90 : 0), 180);
      CHECK(std::abs(off) < 1e-9);
    }
  }
}

TEST_CASE("packing again keeps the sheets that lie there, on their mats") {
  const Project p = demo("lighthouse-card");
  const Project once = packed(p, {2, turns_in_steps(90), 1});
  REQUIRE(once.sheets.size() == p.sheets.size());
  for (std::size_t i = 0; i < p.sheets.size(); ++i) CHECK(once.sheets[i] == p.sheets[i]);
  CHECK(derived(once).plan.pauses.size() == derived(p).plan.pauses.size());
  check_apart(once, derived(once), 2);
}

TEST_CASE("where thousands of strokes run over a part's edge, the box around them is what it takes up") {
  // Two zigzags that cross each other at every turn: two lines, thousands of strokes beyond the edge.
  std::string up = "M5 10", down = "M5 30";
  for (int i = 0; i < 2000; ++i) {
    const double y = 0.03 * i;
    up += " L105 " + std::to_string(y + 30) + " L5 " + std::to_string(y + 10.015);
    down += " L105 " + std::to_string(y + 10) + " L5 " + std::to_string(y + 30.015);
  }
  Project p = project_of(R"(<path d="M10 0H100V100H10Z"/><path id="up" stroke="#dd3333" d=")" + up +
                         R"("/><path id="down" stroke="#dd3333" d=")" + down + R"("/>)");
  const int id = p.pieces[0]->id;
  p = assign_role(std::move(p), {{id, "up"}, {id, "down"}}, Role::draw);
  const Derived d = derived(p);
  REQUIRE(d.layout.parts.size() == 1);
  const Region shape = packed_shape(d.drawing, d.layout.parts.front());
  const Box box = bounds_of(shape);
  CHECK(area_of(shape) == Approx(box.width() * box.height()));
  CHECK(box.width() == Approx(100).margin(0.2));
  CHECK(box.height() == Approx(100).margin(0.2));
}

TEST_CASE("one stroke with thousands of points beyond the edge counts as the box around it, too") {
  std::string beyond = "M90 10 H110";
  for (int i = 0; i < 3000; ++i)
    beyond += " L140 " + std::to_string(10 + 0.02 * i) + " L110 " + std::to_string(20 + 0.02 * i);
  Project p = project_of(R"(<path d="M10 0H100V100H10Z"/><path id="out" stroke="#dd3333" d=")" + beyond + R"("/>)");
  const int id = p.pieces[0]->id;
  p = assign_role(std::move(p), {{id, "out"}}, Role::draw);
  const Derived d = derived(p);
  REQUIRE(d.layout.parts.size() == 1);
  const Part& part = d.layout.parts.front();
  const Region shape = packed_shape(d.drawing, part);
  CHECK(std::abs(area_of(shape) - part.reach.width() * part.reach.height()) < 1);
}

TEST_CASE("what is used of a sheet and what is left: figures of a sheet cut in half") {
  Project p = project_of(R"(<rect id="half" x="10" y="10" width="140" height="280"/>)");
  p.machine.border_mm = 10;
  p.sheets[0].area = Box::of(0, 0, 300, 300);
  const Derived d = derived(p);
  const SheetUse use = use_of(p, d.drawing, d.layout, p.sheets[0], 2);
  CHECK(use.laid.size() == 1);
  CHECK(use.used == Approx(140.0 * 280 / 90000));
  CHECK(use.offcut.width() == Approx(142).margin(1));  // usable to 294.8, less 2 mm beside the cut
  CHECK(use.offcut.height() == Approx(284).margin(1));
}
