#include "core/check/run_checks.hpp"

#include "core/job/hpgl.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/plan/by_hand.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A rectangle to be cut, and a line on it that is drawn.
Project tag() {
  Project p = project_of(R"(<rect id="tag" x="40" y="40" width="80" height="50"/><path id="word" d="M50 60 h40"/>)");
  p = assign_role(std::move(p), {{1, "tag"}}, Role::cut);
  p = assign_role(std::move(p), {{1, "word"}}, Role::draw);
  p.sheets[0].area = Box::of(20, 20, 200, 200);
  return p;
}

Stock& stock_of(Project& p) {
  for (auto& stock : p.stocks) {
    if (stock.id == p.pieces[0]->stock) return stock;
  }
  FAIL("no stock");
  return p.stocks.front();
}

bool says(const Project& p, const std::string& code) { return finding(derived(p), code) != nullptr; }

/// What speaks, by its sentence; empty where it does not.
std::string said(const Project& p, const std::string& code) {
  const Derived d = derived(p);
  const Finding* f = finding(d, code);
  return f ? sentence(*f) : "";
}

Project fixed(const Project& p, const std::string& code) {
  const Derived d = derived(p);
  const Finding* f = finding(d, code);
  REQUIRE(f);
  REQUIRE_FALSE(f->fixes.empty());
  return apply_fix(p, d.drawing, *f, f->fixes.front());
}

}  // namespace

TEST_CASE("a blank that nobody cuts: the forgotten role is an error, and engraving settles it") {
  Project p = tag();
  CHECK_FALSE(says(p, "cut-on-blank"));
  CHECK_FALSE(says(p, "ink-not-taken"));
  stock_of(p).never_cut = true, stock_of(p).takes_ink = false;
  const Derived d = derived(p);
  const Finding* cut = finding(d, "cut-on-blank");
  REQUIRE(cut);
  CHECK(cut->severity == Severity::error);
  CHECK(cut->lines == std::vector<LineRef>{{1, "tag"}});
  REQUIRE(finding(d, "ink-not-taken"));
  CHECK(finding(d, "ink-not-taken")->lines == std::vector<LineRef>{{1, "word"}});
  const Project engraved = fixed(p, "cut-on-blank");
  CHECK(find_piece(engraved, 1)->lines[0].role == Role::engrave);
  CHECK_FALSE(says(engraved, "cut-on-blank"));
  // The blanks that come with the program are such.
  for (const auto& stock : preset_stocks())
    CHECK(stock.never_cut == (stock.id == "acrylic" || stock.id == "soft-metal"));
}

TEST_CASE("a force that the tool does not take is named with what it runs at") {
  Project p = tag();
  CHECK_FALSE(says(p, "force-clamped"));
  stock_of(p).settings[Role::draw].force_gf = 95;  // a fine pen takes 80 gf
  CHECK(said(p, "force-clamped").find("runs at 80 gf") != std::string::npos);
  stock_of(p).settings[Role::draw].force_gf = 80;
  CHECK_FALSE(says(p, "force-clamped"));
  // Another blade takes it; import would have chosen that one.
  stock_of(p).settings[Role::cut].force_gf = 240;
  CHECK(find_piece(p, 1)->lines[0].tool == "fine-blade");
  const Project stronger = fixed(p, "force-clamped");
  CHECK(find_piece(stronger, 1)->lines[0].tool == "blade");
  CHECK_FALSE(says(stronger, "force-clamped"));
  CHECK(find_piece(assign_role(p, {{1, "tag"}}, Role::cut), 1)->lines[0].tool == "blade");
}

TEST_CASE("holders take only certain kinds of tool: the plan keeps to that, and says where none takes one") {
  Project p = tag();
  CHECK_FALSE(says(p, "holder-refuses"));
  p.machine.takes = {{ToolKind::blade}, {ToolKind::pen}};
  const Derived d = derived(p);
  CHECK_FALSE(finding(d, "holder-refuses"));
  for (const auto& pass : d.plan.passes) CHECK(pass.holder == (pass.role == Role::cut ? 1 : 2));
  p.machine.takes = {{ToolKind::pen}, {ToolKind::blade}};
  for (const auto& pass : derived(p).plan.passes) CHECK(pass.holder == (pass.role == Role::cut ? 2 : 1));
  p.machine.takes = {{ToolKind::blade}, {ToolKind::blade}};
  CHECK(said(p, "holder-refuses").find("pen") != std::string::npos);
}

TEST_CASE("what is in a holder beforehand need not be put in") {
  Project p = tag();
  const Plan bare = derived(p).plan;
  CHECK(handwork_of(bare).tools == 2);
  const std::string blade = bare.passes.back().tool;
  p.plan.loaded = {{"", 0}, {blade, 0}};
  stock_of(p).settings[Role::cut].depth = 0;
  const Plan plan = derived(p).plan;
  CHECK(handwork_of(plan).tools == 1);
  CHECK(plan.passes.back().holder == 2);
  // What is not on the rack is not there.
  p.plan.loaded = {{"no-such-tool", 0}};
  CHECK(handwork_of(derived(p).plan).tools == 2);
}

TEST_CASE("ink that has to dry: the run waits where a pass goes over it, and only there") {
  Project p = project_of(R"(<path id="a" d="M40 40 h60"/><path id="b" d="M70 20 v40"/><path id="c" d="M40 120 h60"/>)");
  p = assign_role(std::move(p), {{1, "a"}}, Role::draw, "pen-black");
  p = assign_role(std::move(p), {{1, "b"}, {1, "c"}}, Role::score);
  CHECK_FALSE(says(p, "waits-for-ink"));
  for (auto& tool : p.tools) {
    if (tool.id == "pen-black") tool.dry_s = 300;
  }
  const Derived d = derived(p);
  REQUIRE(d.plan.passes.size() == 2);
  REQUIRE(d.plan.pauses.size() == 1);
  const Pause& wait = d.plan.pauses[0];
  CHECK_FALSE(wait.hands());
  CHECK(wait.dries_s == Approx(300));
  CHECK(handwork_of(d.plan).pauses == 0);
  CHECK(handwork_of(d.plan).waits == 1);
  CHECK(d.plan.passes[1].start_s == Approx(d.plan.passes[0].seconds + 300));
  CHECK(d.plan.least_pauses == 0);
  CHECK(finding(d, "waits-for-ink"));
  // It stops for that: the cutter is told to, as at any pause.
  CHECK(hpgl_of(compile(d.plan, p.machine)).text.find("dot-lane pause 1") != std::string::npos);
  // Where nothing runs over the ink, nobody waits.
  const Derived apart = derived(assign_role(p, {{1, "b"}}, Role::guide));
  CHECK(apart.plan.passes.size() == 2);
  CHECK(apart.plan.pauses.empty());
  // What can be run meanwhile is.
  Project q = assign_role(p, {{1, "c"}}, Role::foil);
  q.plan.role_order = {Role::draw, Role::score, Role::foil, Role::engrave, Role::emboss, Role::cut};
  q.machine.holders = 3;
  CHECK(derived(q).plan.passes.back().role == Role::foil);  // the order of roles comes first
}

TEST_CASE("repeats that land beside each other are told for engraving, and locked stroke by stroke by a fix") {
  Project p = tag();
  p = assign_role(std::move(p), {{1, "word"}}, Role::engrave);
  p = set_repeats(std::move(p), {{1, "word"}}, 4);
  p.machine.landing_mm = 0.02;
  CHECK_FALSE(says(p, "repeats-apart"));
  p.machine.landing_mm = 0.1;  // rarely more than 0.28 mm apart, with a tip of 0.2
  CHECK(said(p, "repeats-apart").find("0.28") != std::string::npos);
  CHECK_FALSE(says(fixed(p, "repeats-apart"), "repeats-apart"));
  CHECK_FALSE(says(set_repeats(p, {{1, "word"}}, 1), "repeats-apart"));
}

TEST_CASE("what stands up from a blank stays clear of the bar on the head's whole way, and of the rollers") {
  // Home is at the mat's lower left corner, 304.8 mm down: the bar goes over all between there and the upper stroke.
  Project p =
      project_of(R"(<path id="word" d="M50 160 h40 v20"/><rect id="hook" x="60" y="20" width="20" height="15"/>)");
  p = assign_role(std::move(p), {{1, "word"}}, Role::draw);
  p = assign_role(std::move(p), {{1, "hook"}}, Role::guide);
  stock_of(p).thickness_mm = 0.8;
  p.machine.bar_clears_mm = 2, p.machine.bar_reaches_mm = 25;
  CHECK_FALSE(says(p, "raised-under-bar"));  // it does not stand up yet
  p = set_raised(std::move(p), {{1, "hook"}}, 5);
  CHECK_FALSE(says(p, "raised-under-bar"));  // behind the bar: 35 mm down, the bar comes to 135
  p.machine.bar_reaches_mm = 130;
  CHECK(said(p, "raised-under-bar").find("5.8 mm") != std::string::npos);
  p.machine.bar_clears_mm = 6;
  CHECK_FALSE(says(p, "raised-under-bar"));
  p.machine.bar_clears_mm = 2, p.machine.bar_reaches_mm = 25;
  Project below = p;
  below.pieces[0].edit([](Piece& piece) { piece.placement = Affine{1, 0, 0, 1, 0, 100} * piece.placement; });
  CHECK_FALSE(says(below, "raised-under-bar"));  // both moved together
  // Between the work and home it is in the way, however far from the strokes.
  Project between =
      project_of(R"(<path id="word" d="M50 40 h40"/><rect id="hook" x="60" y="200" width="20" height="15"/>)");
  between = assign_role(std::move(between), {{1, "word"}}, Role::draw);
  between = set_raised(assign_role(std::move(between), {{1, "hook"}}, Role::guide), {{1, "hook"}}, 5);
  CHECK(says(between, "raised-under-bar"));

  CHECK_FALSE(says(p, "raised-under-roller"));
  p.machine.rollers_mm = {30, 72};
  p.machine.roller_width_mm = 12;
  CHECK(said(p, "raised-under-roller").find("72 mm") != std::string::npos);
  CHECK_FALSE(says(p, "blank-under-roller"));  // thin card
  p.machine.rollers_mm = {30};
  CHECK_FALSE(says(p, "raised-under-roller"));
  stock_of(p).thickness_mm = 1.5;
  CHECK(says(p, "blank-under-roller"));
  p.machine.rollers_mm = {};
  CHECK_FALSE(says(p, "blank-under-roller"));
  // Kept with the project.
  CHECK(project_from_json(to_json(p), "again").value() == p);
}

TEST_CASE("small parts are told where the mat may let go of them") {
  Project p = project_of(
      R"(<rect id="big" x="40" y="40" width="80" height="50"/><rect id="bit" x="140" y="40" width="4" height="5"/>)");
  p = assign_role(std::move(p), {{1, "big"}, {1, "bit"}}, Role::cut);
  const Derived d = derived(p);
  REQUIRE(finding(d, "small-lift"));
  CHECK(finding(d, "small-lift")->lines == std::vector<LineRef>{{1, "bit"}});
  p.machine.mat.tack = Tack::high;
  CHECK_FALSE(says(p, "small-lift"));
  p.machine.mat.tack = Tack::low;
  CHECK(says(p, "small-lift"));
}

TEST_CASE("a cut near its sheet's edge is told, one on the edge or away from it is not") {
  Project p = tag();
  CHECK_FALSE(says(p, "near-edge"));
  const auto on = [&](const Box& area) {
    p.sheets[0].area = area;
    p.sheets[0].window = {area.x0, area.y0};  // what is drawn stays where it is
  };
  on(Box::of(39.5, 20, 200, 200));
  CHECK(said(p, "near-edge").find("0.5 mm") != std::string::npos);
  on(Box::of(40, 40, 80, 50));
  CHECK_FALSE(says(p, "near-edge"));
  on(Box::of(38, 38, 90, 60));
  CHECK_FALSE(says(p, "near-edge"));
}

TEST_CASE("a perforated fold holds, and folds: dashes against gaps and grammage") {
  const auto card = [](double dash, double gap, double grammage) {
    Project p = new_project("card");
    Piece piece;
    piece.id = 1, piece.name = "Card", piece.stock = "cover-65";
    piece.source.kind = "folding-card";
    piece.source.values = {{"fold", std::string("perforate")}, {"dash", dash}, {"gap", gap}};
    p.pieces.push_back(std::move(piece));
    Sheet sheet;
    sheet.id = 1, sheet.stock = "cover-65", sheet.load = 1, sheet.area = Box::of(6, 6, 290, 290);
    p.sheets.push_back(sheet);
    for (auto& stock : p.stocks) {
      if (stock.id == "cover-65") stock.grammage_gsm = grammage;
    }
    return p;
  };
  // What is left: 176 g/m2 x 2 / 5 = 70.
  CHECK_FALSE(says(card(3, 2, 176), "perforation-weak"));
  CHECK_FALSE(says(card(3, 2, 176), "perforation-stiff"));
  CHECK(said(card(8, 1, 176), "perforation-weak").find("leave 20 of 176") != std::string::npos);
  CHECK(said(card(1, 6, 216), "perforation-stiff").find("leave 185 of 216") != std::string::npos);
  for (const Project& p : {card(8, 1, 176), card(1, 6, 216)}) {
    const Project better = fixed(p, says(p, "perforation-weak") ? "perforation-weak" : "perforation-stiff");
    CHECK_FALSE(says(better, "perforation-weak"));
    CHECK_FALSE(says(better, "perforation-stiff"));
  }
  CHECK_FALSE(says(card(8, 1, 0), "perforation-weak"));  // film has no grammage
}

TEST_CASE("cutting first goes where the parts stay held, and the check says where they do not") {
  Project p = tag();
  CHECK_FALSE(says(p, "cut-before"));
  p.plan.role_order = {Role::cut, Role::draw};
  // 4,000 mm2 on a standard mat stay.
  CHECK(finding(derived(p), "cut-before")->severity == Severity::info);
  p.machine.mat.tack = Tack::low;
  CHECK(finding(derived(p), "cut-before")->severity == Severity::warning);
  CHECK_FALSE(says(fixed(p, "cut-before"), "cut-before"));
  // Nothing is cut loose by an open cut.
  Project slit = project_of(R"(<path id="slit" d="M40 40 h60"/><path id="word" d="M50 60 h40"/>)");
  slit = assign_role(assign_role(std::move(slit), {{1, "slit"}}, Role::cut), {{1, "word"}}, Role::draw);
  slit.plan.role_order = {Role::cut, Role::draw};
  slit.machine.mat.tack = Tack::low;
  CHECK(derived(slit).plan.passes.front().role == Role::cut);
  CHECK_FALSE(says(slit, "cut-before"));
}

TEST_CASE("what hands must know: pens are scribbled first, heat and engraving are stayed with, long jobs keep awake") {
  Project p = tag();
  CHECK(said(p, "scribble-first").find("Pen") != std::string::npos);
  CHECK_FALSE(says(assign_role(p, {{1, "word"}}, Role::score), "scribble-first"));
  CHECK_FALSE(says(p, "stay-with-it"));
  CHECK_FALSE(says(p, "stay-awake"));
  Project foil = assign_role(p, {{1, "word"}}, Role::foil);
  CHECK_FALSE(says(foil, "stay-with-it"));  // some seconds
  foil = set_repeats(std::move(foil), {{1, "word"}}, 60);
  CHECK(said(foil, "stay-with-it").find("heated") != std::string::npos);
  Project engraved = set_repeats(assign_role(p, {{1, "word"}}, Role::engrave), {{1, "word"}}, 60);
  CHECK(said(engraved, "stay-with-it").find("Engraving") != std::string::npos);
  for (auto& stock : engraved.stocks) stock.settings[Role::engrave].speed_mm_s = 0.5;
  CHECK(said(engraved, "stay-awake").find("hours") != std::string::npos);
}

TEST_CASE("roles, pieces and sheets are left out of a run without being lost, and it is said") {
  Project p = tag();
  for (const char* code : {"role-not-now", "pieces-not-now", "sheet-off-mat"}) CHECK_FALSE(says(p, code));
  const double seconds = derived(p).plan.seconds;
  const Project some = set_role_not_now(p, Role::draw, true);
  const Derived d = derived(some);
  CHECK(d.plan.passes.size() == 1);
  CHECK(d.plan.not_now.size() == 1);
  CHECK(d.plan.seconds < seconds);
  CHECK(finding(d, "role-not-now"));
  CHECK(finding(d, "not-now"));
  CHECK(project_from_json(to_json(some), "some").value() == some);
  CHECK(run_everything(some) == p);
  CHECK(set_role_not_now(some, Role::draw, false) == p);
  Project without = p;
  without.pieces[0].edit([](Piece& piece) { piece.not_now = true; });
  CHECK(says(without, "pieces-not-now"));
  Project past = p;
  past.sheets[0].area = Box::of(200, 20, 200, 200);
  CHECK(says(past, "sheet-off-mat"));
}

TEST_CASE("a pinned pass keeps its place when all is planned again, and what was only dragged does not") {
  const Project p = four_inks();
  const auto keys = [](const Project& q) {
    std::vector<std::string> out;
    for (const auto& pass : derived(q).plan.passes) out.push_back(pass.key);
    return out;
  };
  const auto planned = keys(p);
  REQUIRE(planned.size() == 5);
  // The darkest ink first, by hand: it costs a taint.
  const Derived d = derived(p);
  const Project dragged = put_pass(p, d.drawing, d.plan, 4, 1);
  const Derived moved = derived(dragged);
  CHECK(moved.plan.passes.front().key == planned[3]);
  const PlanChange change = change_of(d.plan, moved.plan);
  CHECK_FALSE(change.broken.empty());
  CHECK(std::all_of(change.broken.begin(), change.broken.end(), [](const Reason& r) { return r.why == Why::ink; }));
  CHECK(change.seconds == Approx(moved.plan.seconds - d.plan.seconds));
  CHECK(keys(plan_again(dragged, moved.drawing, moved.plan)) == planned);
  const Project kept = pin_pass(dragged, moved.drawing, moved.plan, 1, true);
  const Derived now = derived(kept);
  CHECK(now.plan.passes[0].pinned);
  CHECK_FALSE(now.plan.passes[1].pinned);
  CHECK(keys(plan_again(kept, now.drawing, now.plan)).front() == planned[3]);
  CHECK(project_from_json(to_json(kept), "kept").value() == kept);
  // Two pins know of each other, and one goes without the other.
  const Project both = pin_pass(kept, now.drawing, now.plan, 3, true);
  const Derived two = derived(both);
  const Project one = pin_pass(both, two.drawing, two.plan, 1, false);
  for (const auto& pass : derived(one).plan.passes) CHECK(pass.pinned == (pass.key == two.plan.passes[2].key));
  const Project free = pin_pass(kept, now.drawing, now.plan, 1, false);
  CHECK(free.plan.pins.empty());
  CHECK(keys(free) == planned);
}

TEST_CASE("embossing comes before any cut, in files from before that know nothing of it, too") {
  Project p = tag();
  p = assign_role(std::move(p), {{1, "word"}}, Role::emboss);
  CHECK(find_piece(p, 1)->lines[1].tool == "embossing-tip");
  CHECK(derived(p).plan.passes.front().role == Role::emboss);
  std::string bytes = to_json(p);
  const auto at = bytes.find("\"emboss\"", bytes.find("role_order"));
  REQUIRE(at != std::string::npos);
  bytes.erase(at, bytes.find('"', at + 9) - at);
  const Project older = project_from_json(bytes, "older").value();
  CHECK(older.plan.role_order == p.plan.role_order);
}

TEST_CASE("what a drawing leaves out is said, and nothing is said of one that leaves nothing out") {
  const auto notes = [](const std::string& body) {
    const auto art =
        read_svg("<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"90mm\" height=\"90mm\" viewBox=\"0 0 90 90\">" +
                     body + "</svg>",
                 "notes.svg");
    REQUIRE(art);
    std::vector<std::string> out;
    for (const auto& note : art->notes) out.push_back(note.code);
    return out;
  };
  const std::string line = R"(<path d="M1 1h9" fill="none" stroke="#000"/>)";
  CHECK(notes(line).empty());
  CHECK(notes(line + "<foreignObject width=\"9\" height=\"9\"/>") == std::vector<std::string>{"embedded-left-out"});
  CHECK(notes(line + R"(<path d="M1 1h9" fill="none" stroke="none"/>)") == std::vector<std::string>{"unpainted"});
  CHECK(notes("<style>path:nth-child(2n) { fill: red }</style>" + line) == std::vector<std::string>{"style-ignored"});
}

TEST_CASE("of a fill, parts that are covered much less than the others are told") {
  // A bar along the strokes, not quite twice as wide as their spacing: it gets one or two of them.
  const auto filled = [](const std::string& bar) {
    Project p = project_of(R"(<rect id="wide" x="40" y="40" width="60" height="60"/>)" + bar);
    p.pieces[0].edit([](Piece& piece) {
      for (auto& line : piece.lines) line.role = Role::draw, line.tool = "pen-black";
    });
    Step step{0, "fill", true, {{"angle", 0.0}, {"spacing", 2.0}, {"inset", 0.3}, {"join", 0.0}}, {}, {}};
    return add_step(p, 1, step).value();
  };
  int thin = 0;  // wherever the strokes happen to run
  for (int k = 0; k < 12; ++k)
    thin += says(
        filled("<rect id=\"thin\" x=\"120\" y=\"" + std::to_string(41 + 0.2 * k) + "\" width=\"40\" height=\"3.7\"/>"),
        "fill-thin");
  CHECK(thin > 0);
  CHECK_FALSE(says(filled(R"(<rect id="also" x="120" y="40" width="60" height="60"/>)"), "fill-thin"));
}

TEST_CASE("an order by hand that costs hands is said with what it costs, planning again settles it and keeps pins") {
  // One pen in two passes, other inks between them: by hand the pen goes in twice.
  Project p = project_of(R"(<rect id="card" x="20" y="20" width="100" height="70" stroke="#444444"/>
    <path id="night" d="M30 30 h40" stroke="#101010"/><path id="stars" d="M30 35 h40" stroke="#101010"/>
    <path id="sea" d="M30 40 h40" stroke="#1f6f78"/><path id="sun" d="M30 50 h40" stroke="#e8d21c"/>
    <path id="rust" d="M30 60 h40" stroke="#9c5a2e"/>)");
  p = set_repeats(std::move(p), {{1, "stars"}}, 2);
  const Derived planned = derived(p);
  REQUIRE(planned.plan.passes.size() == 6);
  CHECK_FALSE(finding(planned, "hand-order"));
  CHECK(planned.plan.hand_pauses == 0);
  int stars = 0;
  for (const auto& pass : planned.plan.passes) stars = pass.repeats == 2 ? pass.index : stars;
  REQUIRE(stars > 1);
  Project dragged = put_pass(p, planned.drawing, planned.plan, stars, 1);
  const Derived by_hand = derived(dragged);
  const PlanChange more = change_of(planned.plan, by_hand.plan);
  CHECK(more.pauses + more.swaps > 0);
  CHECK(by_hand.plan.hand_pauses == more.pauses);
  CHECK(by_hand.plan.hand_swaps == more.swaps);
  CHECK(said(dragged, "hand-order").find("by hand needs 1") != std::string::npos);
  CHECK(change_of(planned.plan, derived(fixed(dragged, "hand-order")).plan).seconds == Approx(0).margin(1e-6));
  // What is pinned there is meant so: nothing is said, and nothing forgotten.
  const Project pinned = pin_pass(dragged, by_hand.drawing, by_hand.plan, 1, true);
  CHECK_FALSE(says(pinned, "hand-order"));
  // An order by hand that costs nothing needs no words.
  const Project swapped = put_pass(p, planned.drawing, planned.plan, 2, 1);
  CHECK(derived(swapped).plan.hand_pauses == 0);
}
