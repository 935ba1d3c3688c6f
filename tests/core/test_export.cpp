// What the SVG writer and the layout hand on.
#include "core/format/svg_writer.hpp"
#include "core/geometry/measure.hpp"
#include "core/plan/selection.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Artwork read_back(const std::string& svg) {
  const auto art = read_svg(svg, "out.svg");
  if (!art) FAIL(line_of(art.error()));
  return *art;
}

}  // namespace

TEST_CASE("an exported SVG comes back with the same curves in the same places") {
  const Project p = project_of(
      R"(<path id="swell" d="M20 40 C40 10 60 70 90 40 A30 20 15 0 1 120 60"/><circle id="moon" cx="150" cy="60" r="22.5"/>)");
  const Derived d = derived(p);
  const Artwork back = read_back(write_svg(p, d.layout, d.plan));
  REQUIRE(back.lines.size() == 2);
  CHECK(back.unit_source == UnitSource::stated);
  CHECK(back.width_mm == Approx(304.8));
  for (std::size_t i = 0; i < 2; ++i) {
    const Line& mine = p.pieces[0]->lines[i];
    const auto same =
        std::find_if(back.lines.begin(), back.lines.end(), [&](const ArtLine& l) { return l.id == "1-" + mine.id; });
    REQUIRE(same != back.lines.end());
    CHECK(length_of(same->path) == Approx(length_of(*mine.path)).epsilon(1e-5));
    const Box a = bounds_of(same->path), b = bounds_of(*mine.path);
    CHECK(std::abs(a.x0 - b.x0) + std::abs(a.y1 - b.y1) < 0.001);
    CHECK(segment_count(same->path) == segment_count(*mine.path));
  }
}

TEST_CASE("one group a pass, named after it, in running order") {
  const Project p = four_inks();
  const Derived d = derived(p);
  const Artwork back = read_back(write_svg(p, d.layout, d.plan));
  REQUIRE(back.lines.size() == 5);
  CHECK(back.lines.front().layer == "1 draw Pen 0.4, yellow");
  CHECK(back.lines.back().layer == "5 cut Fine blade");
}

TEST_CASE("lines that no pass runs are exported apart, and not with a single pass") {
  Project p = four_inks();
  p = assign_role(p, {{1, "sun"}}, Role::guide);
  const Derived d = derived(p);
  const Artwork all = read_back(write_svg(p, d.layout, d.plan));
  CHECK(all.lines.front().layer == "not run");
  CHECK(all.lines.size() == 5);
  const Artwork one = read_back(write_svg(p, d.layout, d.plan, {0, 1}));
  CHECK(one.lines.size() == 1);
}

TEST_CASE("a mirrored plan is exported mirrored, once") {
  Project p = four_inks();
  p.plan.mirrored = true;
  const Derived d = derived(p);
  const Artwork back = read_back(write_svg(p, d.layout, d.plan));
  Box card;
  for (const auto& l : back.lines) {
    if (l.id == "1-card") card = bounds_of(l.path);
  }
  CHECK(card.x1 == Approx(304.8 - 20));
  CHECK(card.x0 == Approx(304.8 - 120));
}

TEST_CASE("names with quotes and angle brackets survive") {
  Project p = four_inks();
  p.name = "Fair <\"lantern\"> & friends";
  const Derived d = derived(p);
  (void)read_back(write_svg(p, d.layout, d.plan));
  CHECK(write_svg(p, d.layout, d.plan).find("&lt;\"lantern\"&gt; &amp;") != std::string::npos);
}

TEST_CASE("the layout puts each piece on the sheet of its stock, loads in order") {
  Project p = four_inks();
  p = set_stock(duplicate_piece(p, 1), 2, "felt");
  p.sheets[0].load = 5;
  DrawingCache cache;
  const Layout layout = lay_out(p, evaluate(p, cache));
  REQUIRE(layout.sheets.size() == 2);
  CHECK(layout.loads() == 2);
  CHECK(layout.sheets[0].sheet.load < layout.sheets[1].sheet.load);
  for (const auto& s : layout.sheets) {
    REQUIRE(s.pieces.size() == 1);
    CHECK(s.pieces[0].drawn->piece->stock == s.sheet.stock);
  }
}

TEST_CASE("selecting a sheet keeps the pauses that its tools need") {
  Project p = four_inks();
  p = set_stock(duplicate_piece(p, 1), 2, "vinyl");
  const Plan plan = derived(p).plan;
  const Plan second = select(plan, {p.sheets[1].id, 0});
  REQUIRE_FALSE(second.passes.empty());
  for (const auto& pass : second.passes) CHECK(pass.sheet == p.sheets[1].id);
  // Every pass finds its tool in its holder.
  std::vector<std::string> holds;
  for (const auto& l : second.first_load) holds.push_back(l.holds);
  std::size_t pause = 0;
  for (std::size_t i = 0; i < second.passes.size(); ++i) {
    if (pause < second.pauses.size() && second.pauses[pause].before_pass == i) {
      for (const auto& l : second.pauses[pause].holders) holds[static_cast<std::size_t>(l.holder) - 1] = l.holds;
      ++pause;
    }
    CHECK(holds[static_cast<std::size_t>(second.passes[i].holder) - 1] == second.passes[i].tool);
  }
}

TEST_CASE("turning the whole drawing turns the plan and changes no length or time of marking") {
  const Project p = four_inks();
  const Plan straight = derived(p).plan;
  const Plan turned = derived(turn_pieces(p, drawn(p), {1}, 33)).plan;
  REQUIRE(straight.passes.size() == turned.passes.size());
  for (std::size_t i = 0; i < straight.passes.size(); ++i) {
    CHECK(turned.passes[i].tool == straight.passes[i].tool);
    CHECK(turned.passes[i].length_mm == Approx(straight.passes[i].length_mm).epsilon(1e-6));
    CHECK(turned.passes[i].lifts == straight.passes[i].lifts);
  }
}

TEST_CASE("tools are chosen by ink, by thickness, or added") {
  Project p = new_project("t");
  const auto before = p.tools.size();
  CHECK(choose_tool(p, Role::draw, {32, 32, 32}, "paper") == "pen-black");
  CHECK(p.tools.size() == before);
  CHECK(choose_tool(p, Role::draw, {1, 2, 3}, "paper") == "pen-010203");
  CHECK(p.tools.size() == before + 1);
  CHECK(choose_tool(p, Role::draw, {1, 2, 3}, "paper") == "pen-010203");
  CHECK(choose_tool(p, Role::cut, {}, "paper") == "fine-blade");
  CHECK(choose_tool(p, Role::cut, {}, "cover-80") == "blade");
  CHECK(choose_tool(p, Role::cut, {}, "acrylic") == "deep-blade");
  CHECK(choose_tool(p, Role::guide, {}, "paper").empty());
  CHECK(fresh_tool_id(p, "Pen & Ink  No. 5!") == "pen-ink-no-5");
  CHECK(fresh_tool_id(p, "Fine blade") == "fine-blade-2");
  CHECK(fresh_tool_id(p, "???") == "tool");
}

TEST_CASE("a tool that lines still want stays on the rack") {
  Project p = four_inks();
  CHECK(find_tool(remove_tool(p, "fine-blade"), "fine-blade"));
  CHECK_FALSE(find_tool(remove_tool(p, "deep-blade"), "deep-blade"));
  CHECK(wants_tool(p, "fine-blade"));
}

TEST_CASE("layers shift within bounds and late edits do no harm") {
  Project p = duplicate_piece(four_inks(), 1);
  CHECK(p.pieces[0]->id == 2);
  p = shift_layer(p, 2, 1);
  CHECK(p.pieces[1]->id == 2);
  p = shift_layer(p, 2, 9);
  CHECK(p.pieces[1]->id == 2);
  CHECK(shift_layer(p, 77, 1) == p);
  CHECK(sized(p, 77, 5, {}) == p);
  CHECK(assign_role(p, {{77, "x"}, {1, "nope"}}, Role::cut).pieces[0]->lines == p.pieces[0]->lines);
  CHECK(set_stock(p, 1, "moonstone") == p);
  CHECK(remove_pieces(p, {1, 2}).pieces.empty());
  CHECK(remove_lines(p, lines_of_piece(drawn(p), 1)).pieces.size() == 1);
}
