// Sheets by hand: parts kept together, room found, pushed together, left out of the run; mats by tool; and what the
// second look says of it all.
#include "core/check/layout_checks.hpp"

#include <set>

#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/job/cutter.hpp"
#include "core/job/hpgl.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/room.hpp"
#include "fixtures.hpp"
#include "random_projects.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

const char* const kThree = R"(<path id="a" d="M20 20 h40 v30 h-40 z"/><path id="b" d="M80 20 h40 v30 h-40 z"/>)"
                           R"(<path id="c" d="M20 80 h60 v20 h-60 z"/>)";

struct Laid {
  Project p;
  Derived d;
  explicit Laid(Project project) : p(std::move(project)) { follow(); }
  void follow() { d = derived(p); }
  template <class Edit>
  void edit(Edit change) {
    p = change(p, d.drawing, d.layout);
    follow();
  }
  /// Puts a part so that its centre lies there on the first sheet.
  void put(std::size_t part, Vec at, double turn = 0, int sheet = 0) {
    edit([&](const Project& now, const Drawing& drawing, const Layout& layout) {
      return set_place(now, drawing, layout, part, {1, sheet == 0 ? p.sheets[0].id : sheet, turn, at, false});
    });
  }
  std::vector<std::string> codes() const {
    std::vector<std::string> out;
    for (const auto& f : check_layout(p, d.drawing, d.layout))
      out.push_back(f.code + (f.form.empty() ? "" : "/" + f.form));
    return out;
  }
  Vec centre(std::size_t k) const { return d.layout.laid[k].map(d.layout.parts[d.layout.laid[k].part].centre); }
};

using Codes = std::vector<std::string>;

/// The one finding there is.
const Finding& only(const Laid& l, std::vector<Finding>& kept) {
  kept = check_layout(l.p, l.d.drawing, l.d.layout);
  REQUIRE(kept.size() == 1);
  return kept.front();
}

double figure(const Finding& f, const char* name) {
  for (const auto& [key, value] : f.figures) {
    if (key == name) return std::get<double>(value);
  }
  FAIL("no figure " << name);
  return 0;
}

}  // namespace

TEST_CASE("parts on each other, too near, and apart: each said with its figure") {
  Laid l(project_of(kThree));
  std::vector<Finding> kept;
  CHECK(l.codes().empty());
  l.put(0, {100, 100}), l.put(1, {120, 110}), l.put(2, {200, 200});
  const Finding& over = only(l, kept);
  CHECK(over.code == "parts-overlap");
  CHECK(figure(over, "over") == Approx(20 * 20));
  CHECK(over.fixes.size() == 1);
  l.put(1, {141.5, 100});
  const Finding& near = only(l, kept);
  CHECK(near.code == "parts-near");
  CHECK(figure(near, "apart") == Approx(1.5));
  CHECK(figure(near, "gap") == Approx(2));
  l.p.laying.gap_mm = 1.5, l.follow();
  CHECK(l.codes().empty());
  l.p.laying.gap_mm = 2;
  l.put(1, {142, 100});
  CHECK(l.codes().empty());
  // The remedy: room is found where nothing is in the way.
  l.put(1, {120, 110});
  const Finding again = check_layout(l.p, l.d.drawing, l.d.layout).front();
  l.p = apply_fix(l.p, l.d.drawing, again, again.fixes.front()), l.follow();
  CHECK(l.codes().empty());
}

TEST_CASE("as drawn, edges that meet are no overlap, and what lies on another is said") {
  CHECK(Laid(project_of(R"(<path d="M20 20 h40 v30 h-40 z"/><path d="M60 20 h40 v30 h-40 z"/>)")).codes().empty());
  CHECK(Laid(project_of(R"(<path d="M20 20 h40 v30 h-40 z"/><path d="M50 20 h40 v30 h-40 z"/>)")).codes() ==
        Codes{"parts-overlap"});
}

TEST_CASE("over the edge of a scrap, without room, larger than any sheet, against the grain") {
  Laid l(project_of(kThree));
  const Sheet whole = l.p.sheets[0];
  // An L: the corner at the lower right is missing.
  l.p.sheets[0].area = Box::of(10, 10, 200, 200);
  l.p.sheets[0].outline = {{{0, 0}, {200, 0}, {200, 100}, {100, 100}, {100, 200}, {0, 200}}};
  l.follow();
  l.put(0, {40, 40}), l.put(1, {100, 40}), l.put(2, {100, 150});
  std::vector<Finding> kept;
  const Finding& off = only(l, kept);
  CHECK(off.code == "off-scrap");
  CHECK(figure(off, "off") == Approx(30 * 20).epsilon(1e-3));
  l.put(2, {60, 150});
  CHECK(l.codes().empty());

  l.edit([](const Project& p, const Drawing& d, const Layout& layout) { return let_wait(p, d, layout, {2}); });
  CHECK(l.codes() == Codes{"part-waiting"});
  l.p.sheets[0] = whole;
  l.p.sheets[0].area = Box::of(10, 10, 57, 57);  // 60 x 20 goes in slantwise: (60 + 20) / sqrt 2
  l.follow();
  CHECK(l.codes() == Codes{"part-waiting"});
  l.p.sheets[0].area = Box::of(10, 10, 45, 45);
  l.follow();
  CHECK(l.codes() == Codes{"part-too-large"});

  Laid g(project_of(kThree));
  g.p.stocks[0].grain = Grain::upright;
  for (auto& s : g.p.stocks) s.grain = Grain::upright;
  g.follow();
  CHECK(g.codes().empty());
  g.put(0, {200, 200}, 180);
  CHECK(g.codes().empty());
  g.put(0, {200, 200}, 30);
  const Finding& against = only(g, kept);
  CHECK(against.code == "against-grain");
  CHECK(figure(against, "turn") == Approx(30));
}

TEST_CASE("the shelf is counted: more sheets than it has, and sheets of what is gone") {
  Laid l(project_of(kThree));
  const std::string stock = l.p.sheets[0].stock;
  l.p.shelf.push_back({7, stock, 300, 300, 1, {}, "", {}});
  l.p.sheets[0].shelf = 7;
  CHECK(l.codes().empty());
  add_sheet(l.p, stock);
  l.p.sheets[1].shelf = 7;
  l.follow();
  CHECK(l.codes() == Codes{"shelf-short"});
  l.p.shelf.clear();
  CHECK(l.codes() == Codes{"shelf-gone"});
}

TEST_CASE("what is kept together is packed as it stands in the figure, and said when it is torn apart") {
  Laid l(project_of(kThree));
  l.edit([](const Project& p, const Drawing& d, const Layout& layout) {
    return keep_together(p, d, layout, {0, 1}, true);
  });
  l.edit([](const Project& p, const Drawing& d, const Layout& layout) {
    return set_copies(p, d, layout, {0, 1, 2}, 3);
  });
  CHECK(project_from_json(to_json(l.p), "together").value() == l.p);
  l.edit([](const Project& p, const Drawing& d, const Layout& layout) {
    NestOptions options = nest_options(p);
    return nest_all(p, d, layout, options, 0).project;
  });
  REQUIRE(l.d.layout.laid.size() == 9);
  CHECK(l.codes().empty());
  for (std::size_t k = 0; k < 3; ++k) {
    const auto with = l.d.layout.moved_with(l.p, k);
    REQUIRE(with == std::vector<std::size_t>{k, k + 3});
    const LaidPart &a = l.d.layout.laid[k], &b = l.d.layout.laid[k + 3];
    CHECK(a.sheet == b.sheet);
    CHECK(distance(a.map({70, 35}), b.map({70, 35})) < 1e-6);
  }
  CHECK(l.d.layout.moved_with(l.p, 6) == std::vector<std::size_t>{6});
  l.put(0, {150, 250}, 10);
  const auto codes = l.codes();
  CHECK(std::count(codes.begin(), codes.end(), "group-torn") == 1);
  l.edit([](const Project& p, const Drawing& d, const Layout& layout) {
    return keep_together(p, d, layout, {0, 1}, false);
  });
  CHECK(l.d.layout.moved_with(l.p, 0) == std::vector<std::size_t>{0});
}

TEST_CASE("random projects: room is found for some while the rest stays, and pushing together keeps the gap") {
  Chance chance(1107);
  int found = 0, pushed = 0;
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    Laid l(random_project(chance));
    l.p.laying.gap_mm = chance.between(0.5, 4);
    l.p.laying.turn_step_deg = chance.coin() ? 90 : 0;
    l.edit([](const Project& p, const Drawing& d, const Layout& layout) {
      return nest_all(p, d, layout, nest_options(p), 0).project;
    });
    std::vector<std::size_t> some;
    for (std::size_t k = 0; k < l.d.layout.laid.size(); ++k) {
      if (chance.whole(0, 3) == 0) some.push_back(k);
    }
    if (some.empty()) continue;
    const Layout before = l.d.layout;
    l.edit([&](const Project& p, const Drawing& d, const Layout& layout) { return find_room(p, d, layout, some); });
    for (std::size_t k = 0; k < before.laid.size(); ++k) {
      if (std::find(some.begin(), some.end(), k) != some.end()) continue;
      CHECK(l.d.layout.laid[k].sheet == before.laid[k].sheet);
      CHECK(l.d.layout.laid[k].map == before.laid[k].map);
    }
    const auto bad = [](const Codes& codes) {
      return std::count_if(codes.begin(), codes.end(), [](const std::string& c) {
        return c == "parts-overlap" || c == "parts-near" || c == "off-scrap";
      });
    };
    CHECK(bad(l.codes()) == 0);
    ++found;
    // Where some go, the others can come together.
    l.edit([&](const Project& p, const Drawing& d, const Layout& layout) {
      std::vector<std::size_t> others;
      for (std::size_t k = 0; k < layout.laid.size(); k += 2) others.push_back(k);
      return let_wait(p, d, layout, others);
    });
    const Layout then = l.d.layout;
    some.clear();
    for (std::size_t k = 1; k < then.laid.size(); k += 2) {
      if (chance.whole(0, 3) > 0) some.push_back(k);
    }
    if (some.empty()) continue;
    l.edit([&](const Project& p, const Drawing& d, const Layout& layout) {
      return pushed_together(p, d, layout, p.laying.gap_mm, some);
    });
    CHECK(bad(l.codes()) == 0);
    for (std::size_t k = 0; k < then.laid.size(); ++k) {
      const LaidPart &was = then.laid[k], &now = l.d.layout.laid[k];
      const bool may = std::find(some.begin(), some.end(), k) != some.end();
      CHECK(now.sheet == was.sheet);
      const Vec by = now.map({0, 0}) - was.map({0, 0});
      CHECK(by.x < 1e-6);
      CHECK(by.y < 1e-6);
      if (!may) CHECK(now.map == was.map);
      pushed += may && std::hypot(by.x, by.y) > 1;
    }
    CHECK(project_from_json(to_json(l.p), "by hand").value() == l.p);
  }
  CHECK(found > 0);
  CHECK(pushed > 0);
}

TEST_CASE("left out of the run: a copy, a sheet, a pass, while nothing is deleted and all comes back") {
  Laid l(project_of(kThree));
  l.p = assign_role(l.p, {{1, "c"}}, Role::draw);
  l.follow();
  const Plan whole = l.d.plan;
  const Project before = l.p;
  REQUIRE(whole.passes.size() == 2);
  const auto strokes = [](const Plan& plan) {
    std::size_t n = 0;
    for (const auto& pass : plan.passes) n += pass.strokes.size();
    return n;
  };
  l.edit([](const Project& p, const Drawing& d, const Layout& layout) { return set_not_now(p, d, layout, {0}, true); });
  CHECK(strokes(l.d.plan) + 1 == strokes(whole));
  CHECK(l.d.plan.not_now.empty());
  CHECK(l.d.layout.laid[0].not_now);
  CHECK(project_from_json(to_json(l.p), "some").value() == l.p);
  const auto said = [&] {
    return std::count_if(l.d.findings.begin(), l.d.findings.end(),
                         [](const Finding& f) { return f.code == "not-now"; });
  };
  CHECK(said() == 1);
  l.p = set_pass_not_now(l.p, whole.passes[0].key, true), l.follow();
  CHECK(l.d.plan.passes.size() == 1);
  REQUIRE(l.d.plan.not_now.size() == 1);
  CHECK(l.d.plan.not_now[0].key == whole.passes[0].key);
  l.p = set_sheet_not_now(l.p, l.p.sheets[0].id, true), l.follow();
  CHECK(l.d.plan.passes.empty());
  CHECK(l.d.plan.not_now.size() == 2);
  CHECK(project_from_json(to_json(l.p), "none").value() == l.p);
  l.p = run_everything(l.p), l.follow();
  CHECK(strokes(l.d.plan) == strokes(whole));
  CHECK(said() == 0);
  CHECK(l.p.pieces == before.pieces);
}

TEST_CASE("by tool, every mat sees the tools that are loaded before these change, in the order of its own passes") {
  Chance chance(77);
  int fewer_tools = 0;
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    Project p = random_project(chance);
    p.machine.holders = round % 2 + 1;  // with one, each mat wants its tools anew
    Laid l(p);
    const Plan by_sheet = l.d.plan;
    l.p.plan.by_tool = true;
    l.follow();
    const Plan& by_tool = l.d.plan;
    REQUIRE(by_tool.passes.size() == by_sheet.passes.size());
    const auto of_mat = [](const Plan& plan, int load) {
      std::vector<int> ranks;
      for (const auto& pass : plan.passes) {
        if (pass.load == load) ranks.push_back(static_cast<int>(pass.role));
      }
      return ranks;
    };
    for (const auto& sheet : l.p.sheets) {
      const auto &roles = l.p.plan.role_order, order = roles;
      const auto rank = [&](int role) {
        return std::find(order.begin(), order.end(), static_cast<Role>(role)) - order.begin();
      };
      const auto now = of_mat(by_tool, sheet.load);
      CHECK(std::is_sorted(now.begin(), now.end(), [&](int a, int b) { return rank(a) < rank(b); }));
    }
    const Handwork a = handwork_of(by_sheet), b = handwork_of(by_tool);
    CHECK(a.returns == 0);
    CHECK(b.tools <= a.tools);
    CHECK(b.mats == a.mats + b.returns);
    CHECK(by_tool.running_seconds() > 0.5 * by_sheet.running_seconds());
    fewer_tools += b.tools < a.tools;
    // Pauses say what the machine is asked to do: the mat that is in is the one each pass wants.
    int load = by_tool.passes.empty() ? 0 : by_tool.passes.front().load;
    std::size_t pause = 0;
    for (std::size_t i = 0; i < by_tool.passes.size(); ++i) {
      for (; pause < by_tool.pauses.size() && by_tool.pauses[pause].before_pass == i; ++pause)
        load = by_tool.pauses[pause].load;
      CHECK(by_tool.passes[i].load == load);
    }
  }
  CHECK(fewer_tools > 0);
}

TEST_CASE("a fill whose angle counts on the mat is made for how its part lies, and said where steps follow it") {
  Project p = project_of(R"(<path id="box" d="M20 20 h60 v40 h-60 z"/>)");
  p = *add_step(p, 1,
                Step{0, "fill", true, {{"angle", 20.0}, {"angle-from", std::string("mat")}, {"spacing", 2.0}}, {}, {}});
  p = turn_pieces(p, drawn(p), {1}, 10);
  Laid l(p);
  const auto said = [&] {
    for (const auto& f : check_layout(l.p, l.d.drawing, l.d.layout)) {
      if (f.code == "fill-turned") return std::optional(f);
    }
    return std::optional<Finding>();
  };
  /// Degrees of the first stroke of a fill in the plan, as it lies on the mat.
  const auto stroke_angle = [&] {
    for (const auto& pass : l.d.plan.passes) {
      for (const auto& stroke : pass.strokes) {
        if (stroke.closed() || stroke.points().size() != 2) continue;
        const Vec v = stroke.points()[1] - stroke.points()[0];
        const double angle = std::atan2(-v.y, v.x) * 180 / std::numbers::pi;
        return angle - 180 * std::floor(angle / 180);
      }
    }
    FAIL("no stroke");
    return 0.0;
  };
  CHECK_FALSE(said());
  CHECK(stroke_angle() == Approx(20));
  l.put(0, {150, 150}, 40);  // 30 degrees from how it stands in the figure
  CHECK_FALSE(said());
  CHECK(stroke_angle() == Approx(20));
  // Steps that follow it work on the figure's strokes: those turn along.
  l.p = *add_step(l.p, 1, Step{0, "scale", true, {{"to", std::string("percent")}}, {}, {}}), l.follow();
  REQUIRE(said());
  CHECK(stroke_angle() == Approx(50));
  CHECK(figure(*said(), "angle") == Approx(50));
  CHECK(figure(*said(), "wanted") == Approx(20));
  l.p = apply_fix(l.p, l.d.drawing, *said(), said()->fixes.front()), l.follow();
  CHECK_FALSE(said());
  CHECK(stroke_angle() == Approx(20));
}

TEST_CASE("every part of a piece is filled as it lies, copies too, within its own edge") {
  // A square and a disc of one piece, filled alike; each is made twice.
  Project p = project_of(
      R"(<g stroke="#222222"><path id="both" d="M20 20 h40 v40 h-40 z M80 40 a20 20 0 1 0 40 0 a20 20 0 1 0 -40 0 z"/></g>)");
  const Values values{{"angle", 20.0},
                      {"angle-from", std::string("mat")},
                      {"spacing", 1.0},
                      {"inset", 0.5},
                      {"second", std::string("turned")}};
  p = *add_step(p, 1, Step{0, "fill", true, values, {}, {}});
  Laid l(p);
  REQUIRE(l.d.layout.parts.size() == 2);
  l.put(0, {60, 60}, 33), l.put(1, {160, 160}, -71);
  l.edit([](const Project& q, const Drawing& d, const Layout& layout) { return set_copies(q, d, layout, {0}, 2); });
  l.edit([&](const Project& q, const Drawing& d, const Layout& layout) {
    return set_place(q, d, layout, 0, {2, q.sheets[0].id, 120, {60, 160}, false});
  });
  std::set<std::size_t> filled;
  for (const auto& sheet : l.d.layout.sheets) {
    for (const auto& laid : sheet.pieces) {
      CHECK(laid.filled_anew);
      const DrawnPiece& piece = *laid.drawn;
      for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) {
        const Line& line = piece.piece->lines[i];
        REQUIRE(line.path->contours.size() == (*laid.laid)[i].size());
        for (std::size_t c = 0; c < line.path->contours.size(); ++c) {
          if (line.coat == 0) continue;
          const auto points = piece.course(i, c).points;
          REQUIRE(points.size() == 2);
          const Vec v = points[1] - points[0];
          const double angle = std::atan2(-v.y, v.x) * 180 / std::numbers::pi;
          CHECK(std::abs(std::remainder(angle - (line.coat == 1 ? 20 : 110), 180)) < 0.01);
          filled.insert((*laid.laid)[i][c]);
          const LaidPart& part = l.d.layout.laid[(*laid.laid)[i][c]];
          const Region body = offset(transformed(l.d.layout.parts[part.part].body(), part.map), -0.5 + 0.02);
          for (const Vec q : points) CHECK(encloses(body, q));
        }
      }
    }
  }
  CHECK(filled.size() == 3);
}

TEST_CASE("a mirrored job is packed onto a scrap as it will lie under the tools") {
  Project p = project_of(R"(<path d="M20 20 h80 v60 h-80 z"/><path d="M20 120 h60 v60 h-60 z"/>)");
  const std::string stock = p.sheets[0].stock;
  // The corner at the upper right is missing.
  p.shelf.push_back({1, stock, 160, 160, 1, {{{0, 0}, {60, 0}, {160, 100}, {160, 160}, {0, 160}}}, "", {}});
  p.plan.mirrored = true;
  Laid l(p);
  l.edit([](const Project& q, const Drawing& d, const Layout& layout) {
    return nest_all(q, d, layout, nest_options(q), 0).project;
  });
  REQUIRE(l.p.sheets.size() == 1);
  CHECK(l.codes().empty());
  const Sheet& sheet = l.p.sheets[0];
  const Region scrap =
      transformed(region_of(sheet.outline, FillRule::evenodd), Affine::move(sheet.area.x0, sheet.area.y0));
  const Region wide = offset(scrap, 0.01);
  std::size_t strokes = 0;
  for (const auto& pass : l.d.plan.passes) {
    for (const auto& stroke : pass.strokes) {
      ++strokes;
      for (const Vec q : stroke.points()) CHECK(encloses(wide, q));
    }
  }
  CHECK(strokes == 2);
}

TEST_CASE(
    "seven sheets of three stocks with two scraps: laid out, planned, rehearsed with mat changes, saved, opened") {
  Project p = new_project("seven");
  std::string body[3];
  const auto blob = [](double x, double y, double r, int n) {
    std::string d;
    for (int i = 0; i < 2 * n; ++i) {
      const double a = std::numbers::pi * i / n, q = i % 2 == 0 ? r : 0.6 * r;
      d += (i == 0 ? "M" : "L") + std::to_string(x + q * std::cos(a)) + " " + std::to_string(y + q * std::sin(a)) + " ";
    }
    return "<path d='" + d + "Z'/>";
  };
  for (int s = 0; s < 3; ++s) {
    for (int i = 0; i < (s == 0 ? 9 : 7); ++i)
      body[s] += blob(70 + 130 * (i % 3), 70 + 130 * (i / 3), 62 - 3 * s, 4 + i);
  }
  const char* const stocks[] = {"cover-65", "cover-80", "vinyl"};
  for (int s = 0; s < 3; ++s) {
    const int id = add_drawing(p, body[s], "piece" + std::to_string(s) + ".svg");
    p = set_stock(std::move(p), id, stocks[s]);
  }
  p.shelf.push_back({1, "cover-65", 160, 150, 1, {{{0, 0}, {160, 10}, {150, 150}, {0, 140}}}, "", {}});
  p.shelf.push_back({2, "vinyl", 200, 140, 1, {{{0, 0}, {200, 0}, {200, 140}, {60, 140}}}, "", {}});
  for (const char* stock : stocks)
    p.shelf.push_back({static_cast<int>(p.shelf.size()) + 1, stock, 250, 250, {}, {}, "", {}});
  p.laying.turn_step_deg = 15;
  Laid l(p);
  l.edit([](const Project& q, const Drawing& d, const Layout& layout) {
    return nest_all(q, d, layout, nest_options(q), 1).project;
  });
  CHECK(l.p.sheets.size() >= 7);
  CHECK(std::count_if(l.p.sheets.begin(), l.p.sheets.end(), [](const Sheet& s) { return !s.outline.empty(); }) == 2);
  CHECK(l.codes().empty());
  CHECK(std::none_of(l.d.layout.laid.begin(), l.d.layout.laid.end(), [](const LaidPart& k) { return k.sheet == 0; }));
  CHECK(handwork_of(l.d.plan).mats == l.d.layout.loads());
  // Rehearsed, sheet by sheet and tool by tool: every mat gets what its passes say.
  for (const bool by_tool : {false, true}) {
    Project q = l.p;
    q.plan.by_tool = by_tool;
    const Plan plan = derived(q).plan;
    const Handwork hands = handwork_of(plan);
    CHECK(hands.mats - hands.returns == l.d.layout.loads());
    const Job job = compile(plan, q.machine);
    std::vector<std::string> held;
    for (const auto& load : plan.first_load) held.push_back(load.holds);
    Cutter cutter(job.machine, held);
    cutter.feed(hpgl_of(job).text);
    cutter.end();
    std::map<int, double> marked, planned;
    int changes = 0, last = plan.passes.front().load;
    for (int i = 0; i < 200 && (cutter.state() == Cutter::State::running || cutter.state() == Cutter::State::paused);
         ++i) {
      if (cutter.state() == Cutter::State::paused) {
        changes += std::exchange(last, cutter.wanted().mat) != cutter.wanted().mat;
        REQUIRE_FALSE(cutter.loaded(cutter.wanted().holders));
      }
      cutter.advance(1e6);
      for (const auto& mark : cutter.take_marks()) marked[mark.mat] += length_of(Polyline{mark.points, false});
    }
    CHECK(cutter.state() == Cutter::State::finished);
    CHECK(changes == hands.mats - 1);
    for (const auto& pass : plan.passes) planned[pass.load] += pass.length_mm;
    REQUIRE(marked.size() == planned.size());
    for (const auto& [mat, mm] : planned) CHECK(marked[mat] == Approx(mm).epsilon(1e-3));
  }
  const std::string bytes = to_json(l.p);
  const Project again = project_from_json(bytes, "seven").value();
  CHECK(to_json(again) == bytes);
  CHECK(hpgl_of(compile(derived(again).plan, again.machine)).text == hpgl_of(compile(l.d.plan, l.p.machine)).text);
}

TEST_CASE(
    "the demos that are packed: all lies on sheets, nothing is wrong with them, and they open as they were saved") {
  for (const char* name : {"wading-heron", "fair-pennants"}) {
    INFO(name);
    const Project p = demo(name);
    const Derived d = derived(p);
    CHECK(std::none_of(d.layout.laid.begin(), d.layout.laid.end(),
                       [](const LaidPart& laid) { return laid.sheet == 0 || laid.drawn; }));
    CHECK(sound(d));
    CHECK(project_from_json(to_json(p), name).value() == p);
  }
  const Derived heron = derived(demo("wading-heron"));
  CHECK(heron.drawing.bounds().height() > 750);
  std::set<std::string> stocks;
  for (const auto& part : heron.layout.parts) stocks.insert(part.stock);
  CHECK(stocks.size() == 4);
  const Project pennants = demo("fair-pennants");
  CHECK(derived(pennants).layout.laid.size() == 6);
  for (const auto& sheet : pennants.sheets) CHECK_FALSE(sheet.outline.empty());
}
