// Fills as steps: what is filled, what becomes of the lines, passes, repeats, advice, landing errors and checks.
#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/job/hpgl.hpp"
#include "core/plan/fill_figures.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/shape/steps.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

using Text = std::string;

Project with_fill(Project p, const Values& values, int piece = 1) {
  Step step;
  step.kind = "fill";
  step.values = values;
  auto next = add_step(std::move(p), piece, step);
  if (!next) FAIL(line_of(next.error()));
  return std::move(*next);
}

const std::vector<Line>& lines_of(const Drawing& d, std::size_t i = 0) { return d.pieces.at(i)->piece->lines; }
const Line* strokes_in(const Drawing& d, int coat = 1) {
  for (const auto& line : lines_of(d)) {
    if (line.coat == coat) return &line;
  }
  return nullptr;
}
std::shared_ptr<const FillMade> made_in(const Drawing& d) {
  for (const auto& o : d.pieces.at(0)->outcomes) {
    if (o.fill) return o.fill;
  }
  return nullptr;
}
Text trouble_in(const Drawing& d) {
  Text out;
  for (const auto& o : d.pieces.at(0)->outcomes) out += sentence(o.trouble);
  return out;
}

/// Stems that lean to the right by 45 degrees.
Region leaning_letters() {
  const Lettering lettering =
      set_lettering({{"text", Text("ILLI")}, {"font", Text("Yanone Kaffeesatz")}, {"size", 12.0}, {"slant", 45.0}});
  return unite(letter_regions(lettering));
}

FillRun engraving_run() {
  FillRun run;
  run.machine = new_project("x").machine;
  run.way = {20, 1, false};
  run.tip_mm = 0.3;
  return run;
}

}  // namespace

TEST_CASE("a fill adds strokes of the right role and tool, keeps or drops the outline, and follows its shape") {
  Project p = project_of(R"(<circle id="a" cx="50" cy="50" r="20"/>)");
  p = with_fill(p, {{"pattern", Text("zigzag")}, {"as", Text("engrave")}});
  Drawing d = drawn(p);
  REQUIRE(lines_of(d).size() == 2);
  const Line* strokes = strokes_in(d);
  REQUIRE(strokes);
  CHECK(strokes->id == "a~1");
  CHECK(strokes->role == Role::engrave);
  CHECK(strokes->tool == "engraving-tip");
  CHECK(lines_of(d)[0].role == Role::cut);
  const double before = length_of(*strokes->path);
  CHECK(before == Approx(3.14159265 * 19.6 * 19.6 / 0.5).epsilon(0.06));
  // Twice as large: four times the length, at the same spacing.
  const Project larger = sized(p, 1, 80.0, std::nullopt);
  d = drawn(larger);
  CHECK(length_of(*strokes_in(d)->path) == Approx(before * 4).epsilon(0.05));
  // What is filled leaves no mark on what the piece is cut to.
  CHECK(area_of(material_of(lines_of(d))) == Approx(3.14159265 * 1600).epsilon(0.001));
  // A drawn outline can be left out; a cut one stays, or nothing would come off the sheet.
  for (const Role role : {Role::draw, Role::cut}) {
    Project q = assign_role(project_of(R"(<circle id="a" cx="50" cy="50" r="20"/>)"), {{1, "a"}}, role);
    q = with_fill(q, {{"outline", Text("leave-out")}});
    CHECK(lines_of(drawn(q)).size() == (role == Role::draw ? 1 : 2));
    CHECK(strokes_in(drawn(q))->role == Role::draw);
    // The pen of the outline fills it, too.
    if (role == Role::draw) CHECK(strokes_in(drawn(q))->tool == find_piece(q, 1)->lines[0].tool);
  }
}

TEST_CASE("inside each shape, between frame and shapes, all parts of a group, counters open, overlaps once") {
  const char* art =
      R"(<rect id="frame" x="0" y="0" width="100" height="60"/><rect id="one" x="10" y="10" width="20" height="20"/>
    <path id="ring" d="M50 10 h30 v30 h-30 z M60 20 v10 h10 v-10 z"/><rect id="two" x="20" y="20" width="20" height="20"/>)";
  const Project p = project_of(art);
  auto region = [&](const Values& v) { return made_in(drawn(with_fill(p, v)))->region; };
  CHECK(area_of(region({{"of", Text("one")}})) == Approx(400));
  CHECK(area_of(region({{"of", Text("one, two")}})) == Approx(700));  // overlapping parts once
  CHECK(area_of(region({{"of", Text("ring")}})) == Approx(800));      // the hole stays open
  CHECK(area_of(region({{"what", Text("between")}})) == Approx(6000 - 700 - 800));
  CHECK(area_of(region({})) == Approx(6000));
  // What is drawn is filled first of all: the frame is only cut.
  const Project drawn_one = assign_role(p, {{1, "one"}, {1, "ring"}}, Role::draw);
  CHECK(area_of(made_in(drawn(with_fill(drawn_one, {})))->region) == Approx(1200));
  // One path that holds the frame and what is in it.
  const Project whole = project_of(R"(<path id="p" d="M0 0 h40 v40 h-40 z M10 10 h20 v20 h-20 z"/>)");
  CHECK(area_of(made_in(drawn(with_fill(whole, {{"what", Text("between")}})))->region) == Approx(1200));
  // A letter with a dot: both are filled.
  int id = 0;
  Project words = *add_shape(new_project("x"), "lettering",
                             {{"text", Text("ie")}, {"font", Text("Roboto Slab Bold")}, {"size", 20.0}}, &id);
  const auto made = made_in(drawn(with_fill(words, {{"inset", 0.1}}, id)));
  CHECK(made->parts.size() == 3);
  CHECK(unfilled(3, made->all()).empty());
  CHECK(holes_in(made->region) == 1);
}

TEST_CASE("what cannot be filled is said: open lines, nothing closed, insets too wide") {
  CHECK(trouble_in(drawn(with_fill(project_of(R"(<path id="a" d="M0 0 h50"/>)"), {}))).find("open") != Text::npos);
  const Project both = project_of(R"(<path id="a" d="M0 0 h50"/><rect id="b" x="0" y="10" width="9" height="9"/>)");
  CHECK(trouble_in(drawn(with_fill(both, {{"of", Text("a, b")}}))) ==
        "1 open line stays unfilled; close its gaps, or leave it out.");
  CHECK(made_in(drawn(with_fill(both, {{"of", Text("a, b")}})))->open == 1);
  CHECK(trouble_in(drawn(with_fill(both, {{"inset", 5.0}}))).find("No stroke fits") == 0);
  const Project large = project_of(R"(<rect id="b" x="0" y="10" width="290" height="290"/>)");
  CHECK(trouble_in(drawn(with_fill(large, {{"pattern", Text("dots")}, {"spacing", 0.02}}))).find("8 million") !=
        Text::npos);
}

TEST_CASE("every pattern makes its strokes through files, plan and job, dots are touches") {
  for (const auto& pattern : find_kind(step_kinds(), "fill")->find("pattern")->words) {
    for (const char* second : {"none", "shifted", "turned"}) {
      INFO(pattern.word << " " << second);
      Project p = assign_role(project_of(R"(<path id="a" d="M20 20 h40 v30 h-40 z M30 28 v14 h20 v-14 z"/>)"),
                              {{1, "a"}}, Role::draw);
      p = with_fill(p, {{"pattern", pattern.word}, {"spacing", 3.0}, {"second", Text(second)}, {"edge", true}});
      const auto again = project_from_json(to_json(p), "x");
      REQUIRE(again);
      CHECK(*again == p);
      const Derived d = derived(p);
      REQUIRE(strokes_in(d.drawing));
      CHECK((strokes_in(d.drawing, 2) != nullptr) == (Text(second) != "none"));
      CHECK(trouble_in(d.drawing).empty());
      REQUIRE(d.plan.passes.size() == 1);
      CHECK(d.plan.passes[0].seconds > 0);
      CHECK(std::isfinite(d.plan.seconds));
      CHECK(hpgl_of(compile(d.plan, p.machine)).text.size() > 200);
      // Frozen, the strokes are plain lines that stay what they are.
      const Project frozen = freeze(p, d.drawing, 1);
      const auto reread = project_from_json(to_json(frozen), "x");
      REQUIRE(reread);
      CHECK(*reread == frozen);
      CHECK(derived(frozen).plan.passes[0].contours == d.plan.passes[0].contours);
    }
  }
}

TEST_CASE("a second pass runs after the first, repeats pass by pass or stroke by stroke") {
  Project p =
      assign_role(project_of(R"(<rect id="a" x="20" y="20" width="30" height="30"/>)"), {{1, "a"}}, Role::engrave);
  p = with_fill(p, {{"spacing", 2.0}, {"second", Text("turned")}, {"outline", Text("leave-out")}, {"angle", 0.0}});
  Derived d = derived(p);
  REQUIRE(d.plan.passes.size() == 1);
  const Pass pass = d.plan.passes[0];
  const auto& lines = lines_of(d.drawing);
  bool second = false;
  for (const auto& s : pass.strokes) {
    const bool now = lines[s.line].coat == 2;
    CHECK_FALSE((second && !now));
    second = second || now;
  }
  CHECK(second);
  const std::vector<LineRef> strokes{{1, "a~1"}, {1, "a~1.2"}};
  // Saying how often changes neither role nor tool of a made line.
  p = set_repeats(p, strokes, 4);
  d = derived(p);
  REQUIRE(d.plan.passes.size() == 1);
  const Pass by_pass = d.plan.passes[0];
  CHECK(by_pass.role == Role::engrave);
  CHECK(by_pass.repeats == 4);
  CHECK(by_pass.lifts == 4 * pass.lifts);
  CHECK(by_pass.length_mm == Approx(4 * pass.length_mm));
  p = set_stroke_by_stroke(p, strokes, true);
  d = derived(p);
  const Pass by_stroke = d.plan.passes[0];
  CHECK(by_stroke.repeats == 4);
  CHECK(by_stroke.lifts == pass.lifts);
  CHECK(by_stroke.length_mm == Approx(by_pass.length_mm));
  CHECK(by_stroke.seconds < by_pass.seconds);
  CHECK(by_stroke.key.ends_with("/4/strokes"));
  CHECK(by_stroke.stroke_end_s.size() == by_stroke.strokes.size());
  // The rehearsal agrees with the plan whichever way it goes.
  const Moment end = moment_at(d.plan, p.machine, d.plan.seconds + 1);
  CHECK(end.pass == d.plan.passes.size());
  CHECK(moment_at(d.plan, p.machine, by_stroke.start_s + by_stroke.seconds / 2).down);
  const auto again = project_from_json(to_json(p), "x");
  REQUIRE(again);
  CHECK(*again == p);
}

TEST_CASE("the figures of a fill are the plan's own") {
  Project p = assign_role(project_of(R"(<circle id="a" cx="60" cy="60" r="25"/>)"), {{1, "a"}}, Role::engrave);
  p = with_fill(p, {{"spacing", 0.8}, {"outline", Text("leave-out")}});
  for (const bool by_stroke : {false, true}) {
    p = set_stroke_by_stroke(set_repeats(p, {{1, "a~1"}}, 3), {{1, "a~1"}}, by_stroke);
    const Derived d = derived(p);
    const auto subject = fill_subject(p, *d.drawing.pieces[0], 1);
    REQUIRE(subject);
    CHECK(subject->tool == "engraving-tip");
    const FillFigures f = figures_of(*subject);
    const Pass& pass = d.plan.passes.at(0);
    CHECK(f.strokes == static_cast<std::size_t>(pass.contours));
    CHECK(f.cost.lifts == static_cast<std::size_t>(pass.lifts));
    CHECK(f.cost.length_mm == Approx(pass.length_mm).epsilon(1e-6));
    // The piece stands elsewhere on the mat than the figures take it to: only the way to it differs.
    CHECK(f.cost.seconds == Approx(pass.seconds).epsilon(0.02));
  }
  CHECK_FALSE(fill_subject(p, *drawn(p).pieces[0], 9));
}

TEST_CASE("the angle counts on the piece or on the mat") {
  Project p = project_of(R"(<rect id="a" x="40" y="40" width="60" height="60"/>)");
  for (const char* from : {"piece", "mat"}) {
    Project q = with_fill(p, {{"angle", 0.0}, {"angle-from", Text(from)}, {"spacing", 5.0}});
    q = turn_pieces(q, drawn(q), {1}, 30);
    const Drawing d = drawn(q);
    const auto& contour = strokes_in(d)->path->contours.at(3);
    const Vec a = d.pieces[0]->map(contour.start), b = d.pieces[0]->map(contour.segments.back().end);
    const double slope = std::abs(std::atan((b.y - a.y) / (b.x - a.x)) * 180 / 3.14159265358979);
    CHECK(slope == Approx(Text(from) == "mat" ? 0 : 30).margin(1e-6));
  }
}

TEST_CASE("stems at 45 degrees: the hatch at 45 leaves letters empty, and the proposal turns away from it") {
  const Region letters = leaning_letters();
  FillOptions o;
  o.spacing = 1.6;
  o.inset = 0.15;
  o.angle = 45;
  const auto at45 = try_fill(letters, o, engraving_run());
  REQUIRE(at45);
  CHECK(at45->unfilled >= 1);
  for (const AngleGoal goal : {AngleGoal::time, AngleGoal::lifts, AngleGoal::thin}) {
    const auto advice = best_angle(letters, o, engraving_run(), 0.1, goal);
    REQUIRE(advice.curve.size() == 36);
    const auto& best = advice.curve[advice.best];
    CHECK(best.unfilled == 0);
    CHECK(best.options.angle != 45);
    CHECK(advice.curve[9].options.angle == 45);
    CHECK(advice.curve[9].unfilled == at45->unfilled);
    // Best by its own measure among those that leave nothing empty and cover enough.
    for (const auto& t : advice.curve) {
      if (t.unfilled > 0) continue;
      if (goal == AngleGoal::thin) CHECK(t.weakest_share <= best.weakest_share);
      if (t.share < 0.1) continue;
      if (goal == AngleGoal::time) CHECK(t.cost.seconds >= best.cost.seconds);
      if (goal == AngleGoal::lifts) CHECK(t.cost.lifts >= best.cost.lifts);
    }
  }
  FillOptions rings = o;
  rings.pattern = FillPattern::contour;
  CHECK(best_angle(letters, rings, engraving_run(), 0.9, AngleGoal::time).curve.empty());
  const std::atomic<bool> stop{true};
  CHECK(best_angle(letters, o, engraving_run(), 0.9, AngleGoal::time, 5, &stop).curve.empty());
}

TEST_CASE("Second look names the letters that stay empty, and its fix fills them") {
  int id = 0;
  Project p =
      *add_shape(new_project("x"), "lettering",
                 {{"text", Text("ILOI")}, {"font", Text("Yanone Kaffeesatz")}, {"size", 12.0}, {"slant", 45.0}}, &id);
  p = assign_role(p, {{id, "letters"}}, Role::draw);
  p = with_fill(p, {{"spacing", 1.6}, {"angle", 45.0}, {"inset", 0.15}, {"shortest", 1.0}}, id);
  Derived d = derived(p);
  const Finding* f = finding(d, "fill-empty");
  REQUIRE(f);
  INFO(sentence(*f));
  CHECK((sentence(*f).find("\u201cI\u201d") != Text::npos || sentence(*f).find("\u201cL\u201d") != Text::npos));
  CHECK(sentence(*f).find("\u201cO\u201d") == Text::npos);
  REQUIRE_FALSE(f->fixes.empty());
  CHECK(label(f->fixes.front()).find("Turn the strokes to ") == 0);
  const Project turned = apply_fix(p, d.drawing, *f, f->fixes.front());
  CHECK_FALSE(finding(derived(turned), "fill-empty"));
  // Ink beyond the edge, and the inset that keeps it inside.
  Project plain =
      assign_role(project_of(R"(<rect id="a" x="20" y="20" width="30" height="10"/>)"), {{1, "a"}}, Role::draw);
  plain = with_fill(plain, {{"inset", 0.0}, {"angle", 0.0}});
  d = derived(plain);
  f = finding(d, "fill-outside");
  REQUIRE(f);
  CHECK(f->severity == Severity::info);
  CHECK_FALSE(finding(derived(apply_fix(plain, d.drawing, *f, f->fixes.front())), "fill-outside"));
  // A long run is announced.
  CHECK_FALSE(finding(d, "long-run"));
  plain = with_fill(
      assign_role(project_of(R"(<rect id="a" x="20" y="20" width="90" height="90"/>)"), {{1, "a"}}, Role::engrave),
      {{"spacing", 0.2}});
  CHECK(finding(derived(plain), "long-run"));
}

TEST_CASE("the widest spacing for a coverage covers it, and one a little wider does not") {
  const Region letters = leaning_letters();
  FillOptions o;
  o.inset = 0.1;
  o.pattern = FillPattern::zigzag;
  const auto spacing = widest_spacing(letters, o, 0.3, 0.85);
  REQUIRE(spacing);
  auto share = [&](double s) {
    o.spacing = s;
    return try_fill(letters, o, engraving_run())->share;
  };
  CHECK(share(*spacing) >= 0.85);
  CHECK(share(*spacing * 1.1) < 0.85);
  o.inset = 1.5;
  CHECK_FALSE(widest_spacing(letters, o, 0.3, 0.85));
}

TEST_CASE("landing errors leave gaps between single strokes, fewer when ends are joined or a second pass follows") {
  const Region disc =
      region_of(*find_piece(project_of(R"(<circle id="a" cx="12" cy="12" r="10"/>)"), 1)->lines[0].path);
  FillOptions o;
  o.spacing = 0.3;
  o.inset = 0.15;
  const auto ways = compare_ways(disc, o, engraving_run(), 0.08);
  auto of = [&](WayChoice::Kind kind) {
    const auto found = std::find_if(ways.begin(), ways.end(), [&](const WayChoice& w) { return w.kind == kind; });
    REQUIRE(found != ways.end());
    return *found;
  };
  using Kind = WayChoice::Kind;
  const auto plain = of(Kind::as_it_is), joined = of(Kind::joined), coat = of(Kind::shifted_coat),
             closer = of(Kind::closer);
  CHECK(plain.gap_mm2 > 5);
  CHECK(joined.gap_mm2 < 0.7 * plain.gap_mm2);
  CHECK(coat.gap_mm2 < 0.5 * plain.gap_mm2);
  CHECK(closer.gap_mm2 < plain.gap_mm2);
  CHECK(joined.cost.seconds < plain.cost.seconds);
  CHECK(coat.cost.seconds > 1.8 * plain.cost.seconds);
  CHECK(of(Kind::again_by_stroke).cost.seconds < of(Kind::again_by_pass).cost.seconds);
  CHECK(of(Kind::again_by_pass).gap_mm2 < plain.gap_mm2);
  // The same dice every time; no scatter, no gap; each stroke of the picture keeps its shape.
  const std::vector<Strokes> coats{*fill(disc, o)};
  const auto once = land(disc, coats, {0.08, 0.3, 4, 7}), again = land(disc, coats, {0.08, 0.3, 4, 7});
  CHECK(once.gap_mm2 == again.gap_mm2);
  CHECK(once.fallen[0].points() == again.fallen[0].points());
  CHECK(land(disc, coats, {0, 0.3, 4, 7}).gap_mm2 == 0);
  double sum = 0, squares = 0;
  for (std::size_t i = 0; i < coats[0].size(); ++i) {
    const Vec a = once.fallen[0][i].front() - coats[0][i].front(), b = once.fallen[0][i].back() - coats[0][i].back();
    CHECK(distance(a, b) < 1e-9);
    sum += a.x + a.y;
    squares += dot(a, a);
  }
  const auto n = static_cast<double>(2 * coats[0].size());
  CHECK(std::sqrt(squares / n) == Approx(0.08).epsilon(0.2));
  CHECK(std::abs(sum / n) < 0.03);
}

TEST_CASE("a heavy fill shows a coarse first look at once, and the whole one when there is time") {
  Project p =
      assign_role(project_of(R"(<rect id="a" x="20" y="20" width="200" height="200"/>)"), {{1, "a"}}, Role::draw);
  p = with_fill(p, {{"spacing", 0.5}, {"pattern", Text("stipple")}});
  DrawingCache cache;
  const Drawing first = evaluate(p, cache, Effort::at_once);
  CHECK(first.pieces[0]->stale);
  const auto look = made_in(first);
  REQUIRE(look);
  CHECK(look->coarse);
  CHECK(look->coats[0].size() > 500);
  CHECK(look->coats[0].size() < 8000);
  const Drawing whole = evaluate(p, cache);
  CHECK_FALSE(whole.pieces[0]->stale);
  CHECK_FALSE(made_in(whole)->coarse);
  CHECK(made_in(whole)->options.spacing == 0.5);
  // What is known is shown at once the next time.
  CHECK(made_in(evaluate(p, cache, Effort::at_once)) == made_in(whole));
  CHECK_FALSE(evaluate(p, cache, Effort::at_once).pieces[0]->stale);
}

TEST_CASE("steps after a fill leave its strokes alone unless they are named, what is cut away takes them along") {
  Project p = assign_role(project_of(R"(<rect id="a" x="20" y="20" width="30" height="30"/>)"), {{1, "a"}}, Role::draw);
  p = with_fill(p, {{"spacing", 1.0}, {"shortest", 0.0}});
  const Path before = *strokes_in(drawn(p))->path;
  for (const auto& [kind, values] : {std::pair<Text, Values>{"drop-small", {{"under", 25.0}}},
                                     {"round-corners", {{"radius", 3.0}}},
                                     {"close-gaps", {{"under", 5.0}}},
                                     {"simplify", {{"tolerance", 1.0}}},
                                     {"thicken", {{"by", 1.0}}}}) {
    INFO(kind);
    Step step;
    step.kind = kind;
    step.values = values;
    CHECK(*strokes_in(drawn(*add_step(p, 1, step)))->path == before);
    if (kind == "drop-small") {
      step.values["of"] = Text("a~1");
      const Project named = *add_step(p, 1, step);
      CHECK(strokes_in(drawn(named))->path->contours.size() < before.contours.size());
    }
  }
  // A disc over one corner: the strokes end at it.
  int disc = 0;
  Project q = *add_shape(p, "ellipse", {{"width", 20.0}, {"height", 20.0}}, &disc);
  const Box at = bounds_of_piece(q, disc);
  q = move_pieces(q, {disc}, Vec{20, 20} - at.centre());
  Step cut;
  cut.kind = "cut-away";
  cut.values = {{"with", std::vector<double>{static_cast<double>(disc)}}};
  q = *add_step(q, 1, cut);
  const Drawing d = drawn(q);
  const DrawnPiece* piece = find_drawn(d, 1);
  double nearest = 1e9, length = 0;
  for (const auto& line : piece->piece->lines) {
    if (line.coat == 0) continue;
    for (const auto& c : line.path->contours) {
      const auto polyline = transformed(flatten(c, 0.01), piece->map);
      length += length_of(polyline);
      for (const Vec v : polyline.points) nearest = std::min(nearest, distance(v, {20, 20}));
    }
  }
  CHECK(nearest == Approx(10).margin(0.02));
  CHECK(length < length_of(before));
}

TEST_CASE("a fill along the outline shows at once, made coarser where its insets would take long") {
  int id = 0;
  Project p = *add_shape(new_project("x"), "lettering",
                         {{"text", Text("harbour")}, {"font", Text("Roboto Slab Bold")}, {"size", 60.0}}, &id);
  p = assign_role(std::move(p), {{id, "letters"}}, Role::draw);
  p = with_fill(p, {{"pattern", Text("spiral")}, {"spacing", 0.05}}, id);
  DrawingCache cache;
  const auto look = made_in(evaluate(p, cache, Effort::at_once));
  REQUIRE(look);
  CHECK(look->coarse);
  CHECK(look->options.spacing > 0.2);
  CHECK_FALSE(look->coats[0].empty());
}

}  // namespace dotlane::test
