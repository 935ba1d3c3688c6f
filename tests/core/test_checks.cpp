#include "core/check/doubled.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

TEST_CASE("a sound project has only its guessed roles to confirm") {
  Project p = four_inks();
  Derived d = derived(p);
  REQUIRE(d.findings.size() == 2);
  CHECK(d.findings[0].code == "role-guessed");
  CHECK(d.findings[1].code == "scribble-first");
  CHECK(sentence(d.findings[0]).find("5 lines were guessed (1 cut, 4 draw)") != std::string::npos);
  p = apply_fix(p, drawn(p), d.findings[0], d.findings[0].fixes.at(0));
  CHECK(sound(derived(p)));
}

TEST_CASE("open contours set to cut: near ends can be closed, slits are only named") {
  Project p = project_of(R"(<path id="gap" d="M20 20 H60 V60 H20 V20.8"/><path id="slit" d="M80 20 H120"/>)");
  p = assign_role(p, lines_of_piece(drawn(p), 1), Role::cut);
  const Derived d = derived(p);
  const Finding* open = finding(d, "open-cut");
  REQUIRE(open);
  CHECK(sentence(*open).find("0.8 mm") != std::string::npos);
  REQUIRE(open->fixes.size() == 1);
  CHECK(open->lines == std::vector<LineRef>{{1, "gap"}});
  p = apply_fix(p, drawn(p), *open, open->fixes[0]);
  CHECK(p.pieces[0]->lines[0].path->contours[0].closed);
  const Derived after = derived(p);
  REQUIRE(finding(after, "open-cut"));
  CHECK(finding(after, "open-cut")->lines == std::vector<LineRef>{{1, "slit"}});
}

TEST_CASE("doubled cut lines are measured, whole doubles can be removed, crossings do not count") {
  Project p = project_of(
      R"(<rect id="a" x="20" y="20" width="40" height="40"/><rect id="b" x="20" y="20" width="40" height="40"/>
    <rect id="neighbour" x="60" y="20" width="40" height="40"/><path id="cross" d="M10 40 H110 V41 H10 Z"/>)");
  const Derived d = derived(p);
  const Finding* doubled = finding(d, "doubled-cut");
  REQUIRE(doubled);
  CHECK(doubled->lines.size() == 3);
  REQUIRE(doubled->fixes.size() == 1);
  CHECK(doubled->fixes[0].on == std::vector<LineRef>{{1, "b"}});
  p = apply_fix(p, drawn(p), *doubled, doubled->fixes[0]);
  CHECK(p.pieces[0]->lines.size() == 3);
  const Derived after = derived(p);
  REQUIRE(finding(after, "doubled-cut"));  // the shared side of a and its neighbour remains
  CHECK(sentence(*finding(after, "doubled-cut")).find("40 mm") == 0);
}

TEST_CASE("the length of a shared course is right to a sample") {
  const Polyline a{{{0, 0}, {100, 0}}, false}, b{{{30, 0.02}, {80, 0.02}, {80, 50}}, false};
  const auto pairs = find_doubled({{a}, {b}}, 0.05, 1);
  REQUIRE(pairs.size() == 1);
  CHECK(pairs[0].length_mm == Approx(50).margin(0.5));
}

TEST_CASE("tools must serve the role and take the stock") {
  Project p = project_of(R"(<rect id="r" x="20" y="20" width="40" height="40"/>)");
  p = assign_role(p, lines_of_piece(drawn(p), 1), Role::cut, "scoring-tip");
  Derived d = derived(p);
  const Finding* wrong = finding(d, "tool-role");
  REQUIRE(wrong);
  CHECK(wrong->severity == Severity::error);
  p = apply_fix(p, drawn(p), *wrong, wrong->fixes.at(0));
  CHECK(p.pieces[0]->lines[0].tool == "fine-blade");
  p = set_stock(p, 1, "felt");
  d = derived(p);
  const Finding* thick = finding(d, "tool-stock");
  REQUIRE(thick);
  CHECK(sentence(*thick).find("1.2 mm") != std::string::npos);
  p = apply_fix(p, drawn(p), *thick, thick->fixes.at(0));
  CHECK(p.pieces[0]->lines[0].tool == "deep-blade");
  p.pieces[0].edit([](Piece& piece) { piece.lines[0].tool.clear(); });
  CHECK(finding(derived(p), "tool-missing"));
}

TEST_CASE("stock thicker than the machine's rating is warned of, and the manual named") {
  // 2.7 mm under a machine rated for 2.0 mm: common practice, no published source.
  Project p = project_of(R"(<rect id="r" x="20" y="20" width="40" height="40"/>)");
  for (auto& stock : p.stocks) {
    if (stock.id == "cover-65") stock.thickness_mm = 2.7;
  }
  const Derived d = derived(p);
  const Finding* over = finding(d, "stock-over-rating");
  REQUIRE(over);
  CHECK(over->severity == Severity::warning);
  CHECK(sentence(*over).find("2.7 mm") != std::string::npos);
  CHECK(sentence(*over).find("manual") != std::string::npos);
}

TEST_CASE("force never exceeds what the machine gives") {
  Project p = set_stock(project_of(R"(<rect x="20" y="20" width="40" height="40"/>)"), 1, "felt");
  p.machine.max_force_gf = 200;
  const Derived d = derived(p);
  CHECK(finding(d, "force-over-rating"));
  CHECK(d.plan.passes[0].force_gf <= 200);
}

TEST_CASE("art in the border and past its sheet is told apart from art off the mat") {
  Project p = project_of(R"(<rect id="r" x="2" y="50" width="40" height="40"/>)");
  CHECK(finding(derived(p), "off-usable"));
  p = move_pieces(p, {1}, {100, 0});
  CHECK_FALSE(finding(derived(p), "off-usable"));
  p.sheets[0].area = Box::of(10, 10, 100, 100);
  p.sheets[0].window = {10, 10};
  const Derived d = derived(p);
  REQUIRE(finding(d, "off-sheet"));
  CHECK(sentence(*finding(d, "off-sheet")).find("32 mm") != std::string::npos);
}

TEST_CASE("what is larger than the mat says so instead of offering to move it") {
  Project p = project_of(R"(<rect x="20" y="20" width="40" height="40"/>)");
  p = sized(p, 1, 320.0, std::nullopt);
  const Derived d = derived(p);
  const Finding* off = finding(d, "off-mat");
  REQUIRE(off);
  REQUIRE(off->fixes.size() == 1);
  CHECK(off->fixes[0].kind == Fix::Kind::divide);
  CHECK(sentence(*off).find("320 mm x 320 mm") != std::string::npos);
}
