// What must not change, or must change in one way only, on the whole road from project to marks: on every demo.
#include <map>
#include <set>

#include "core/job/cutter.hpp"
#include "core/job/hpgl.hpp"
#include "core/project/arrange.hpp"
#include "core/shape/recipe_edit.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A course on the cutter's grid of 0.025 mm, without points that say nothing.
using OnGrid = std::vector<std::pair<long, long>>;

OnGrid on_grid(const std::vector<Vec>& points) {
  OnGrid out;
  for (const Vec p : points) {
    const std::pair<long, long> at{std::lround(p.x * kHpglPerMm), std::lround(p.y * kHpglPerMm)};
    if (out.empty() || out.back() != at) out.push_back(at);
  }
  return out;
}

/// Whichever end it begins at, and wherever a closed one begins.
OnGrid upright(OnGrid c) {
  if (c.size() > 2 && c.front() == c.back()) {
    c.pop_back();
    std::rotate(c.begin(), std::min_element(c.begin(), c.end()), c.end());
    c.push_back(c.front());
    if (c[c.size() - 2] < c[1]) std::reverse(c.begin(), c.end());
  } else if (c.back() < c.front()) {
    std::reverse(c.begin(), c.end());
  }
  return c;
}

/// What the plan lets each tool mark on each mat: courses and how often.
using Marked = std::map<std::pair<std::string, int>, std::multiset<OnGrid>>;

Marked planned(const Plan& plan) {
  Marked out;
  for (const auto& pass : plan.passes) {
    for (int round = 0; round < pass.rounds(); ++round) {
      for (const auto& stroke : pass.strokes) {
        std::vector<Vec> points = stroke.points();
        if (stroke.closed() && !points.empty()) points.push_back(points.front());
        out[{pass.tool, pass.load}].insert(upright(on_grid(points)));
      }
    }
  }
  return out;
}

Marked marked(const Job& job) {
  std::vector<std::string> holders;
  for (const auto& h : job.plan.first_load) holders.push_back(h.holds);
  Cutter cutter(job.machine, holders);
  cutter.feed(hpgl_of(job).text);
  cutter.end();
  Marked out;
  for (int i = 0; i < 10'000; ++i) {
    cutter.advance(1e6);
    for (auto& m : cutter.take_marks()) out[{m.tool, m.mat}].insert(upright(on_grid(m.points)));
    if (cutter.state() != Cutter::State::paused) break;
    REQUIRE_FALSE(cutter.loaded(cutter.wanted().holders));
  }
  CHECK(cutter.state() == Cutter::State::finished);
  return out;
}

double total_length(const Plan& plan) {
  double out = 0;
  for (const auto& pass : plan.passes) out += pass.length_mm;
  return out;
}

Step step(const char* kind, Values values) {
  Step out;
  out.kind = kind;
  out.values = std::move(values);
  return out;
}

/// Findings without their order.
std::multiset<std::string> said(const Derived& d) {
  std::multiset<std::string> out;
  for (const auto& f : d.findings) out.insert(f.code + ": " + sentence(f));
  return out;
}

}  // namespace

TEST_CASE("the cutter marks the very courses that are planned, and no others") {
  for (const auto& name : kDemos) {
    INFO(name);
    const Project p = demo(name);
    const Derived d = derived(p);
    const Marked plan = planned(d.plan), marks = marked(compile(d.plan, p.machine));
    REQUIRE(plan.size() == marks.size());
    for (const auto& [where, courses] : plan) {
      INFO(where.first << " on mat " << where.second);
      REQUIRE(marks.count(where) == 1);
      // A dot is a course of one place; the cutter marks it where it stands.
      CHECK(marks.at(where).size() == courses.size());
      CHECK(marks.at(where) == courses);
    }
  }
}

TEST_CASE("the order of pieces in the project changes no mark") {
  for (const auto& name : kDemos) {
    if (name == "fair-stall") continue;  // its layers are trimmed under each other: there the order is the drawing
    INFO(name);
    Project p = demo(name);
    const Derived before = derived(p);
    std::reverse(p.pieces.begin(), p.pieces.end());
    const Derived after = derived(p);
    CHECK(planned(before.plan) == planned(after.plan));
    CHECK(before.plan.pauses.size() == after.plan.pauses.size());
    CHECK(total_length(after.plan) == Approx(total_length(before.plan)).epsilon(1e-9));
  }
}

TEST_CASE("millimetres or inches: the same drawing, plan, job and findings") {
  for (const auto& name : kDemos) {
    INFO(name);
    Project p = demo(name);
    const Derived before = derived(p);
    p.unit = p.unit == LengthUnit::mm ? LengthUnit::inch : LengthUnit::mm;
    const Derived after = derived(p);
    CHECK(hpgl_of(compile(before.plan, p.machine)).text == hpgl_of(compile(after.plan, p.machine)).text);
    CHECK(before.findings == after.findings);
    CHECK(before.plan.seconds == after.plan.seconds);
  }
}

namespace {

/// What a stroke marks, wherever on it the tool begins.
std::vector<Vec> course_of(const Stroke& stroke) {
  return transformed(*stroke.course.polyline, stroke.course.map).points;
}

}  // namespace

TEST_CASE("mirrored twice is as it was, for pieces and for the job") {
  for (const auto& name : kDemos) {
    INFO(name);
    const Project p = demo(name);
    const Drawing drawing = drawn(p);
    std::vector<int> all;
    for (const auto& piece : p.pieces) all.push_back(piece->id);
    for (const bool across : {true, false}) {
      const Project once = mirror_pieces(p, drawing, all, across);
      const Project twice = mirror_pieces(once, drawn(once), all, across);
      for (std::size_t i = 0; i < p.pieces.size(); ++i) {
        INFO(p.pieces[i]->name);
        const Affine &a = p.pieces[i]->placement, &b = twice.pieces[i]->placement;
        for (const Vec probe : {Vec{0, 0}, Vec{100, 0}, Vec{0, 100}})
          CHECK(distance(a(probe), b(probe)) < 0.005);  // outlines are made anew, each within a chord
      }
      const Box was = frame_around(drawing, all), is = frame_around(drawn(once), all);
      CHECK(is.x0 == Approx(was.x0).margin(0.02));
      CHECK(is.y1 == Approx(was.y1).margin(0.02));
    }
    // The job's own mirror reflects each sheet about its middle: every mark is found there, and back again.
    Project turned = p;
    turned.plan.mirrored = !p.plan.mirrored;
    const Plan straight = derived(p).plan, mirrored = derived(turned).plan;
    REQUIRE(straight.passes.size() == mirrored.passes.size());
    std::map<int, std::multiset<OnGrid>> there, back;
    for (const auto& pass : straight.passes) {
      const Sheet* sheet = nullptr;
      for (const auto& s : p.sheets) sheet = s.id == pass.sheet ? &s : sheet;
      REQUIRE(sheet);
      for (const auto& stroke : pass.strokes) {
        std::vector<Vec> points;
        for (const Vec q : course_of(stroke)) points.push_back({sheet->area.x0 + sheet->area.x1 - q.x, q.y});
        // Half a step of the grid more, so that no rounding falls the other way.
        for (Vec& q : points) q = {std::floor(q.x * 10 + 0.5) / 10, std::floor(q.y * 10 + 0.5) / 10};
        there[pass.sheet].insert(upright(on_grid(points)));
      }
    }
    for (const auto& pass : mirrored.passes) {
      for (const auto& stroke : pass.strokes) {
        std::vector<Vec> points = course_of(stroke);
        for (Vec& q : points) q = {std::floor(q.x * 10 + 0.5) / 10, std::floor(q.y * 10 + 0.5) / 10};
        back[pass.sheet].insert(upright(on_grid(points)));
      }
    }
    for (const auto& [sheet, courses] : there) {
      INFO("sheet " << sheet);
      std::size_t found = 0;
      for (const auto& c : courses) found += back[sheet].count(c) > 0;
      // A coordinate on the very edge of a tenth may round either way.
      CHECK(static_cast<double>(found) >= 0.97 * static_cast<double>(courses.size()));
      CHECK(back[sheet].size() == courses.size());
    }
  }
}

TEST_CASE("moving the sheets on their mats moves every mark by as much, moving figure and windows moves none") {
  for (const auto& name : kDemos) {
    INFO(name);
    Project p = demo(name);
    const Derived before = derived(p);
    const Vec by{1.5, 2.5}, aside{-31, 17};  // whole steps of the cutter's grid
    std::vector<int> all;
    for (const auto& piece : p.pieces) all.push_back(piece->id);
    p = move_pieces(p, all, aside);
    for (auto& sheet : p.sheets) {
      sheet.area = {sheet.area.x0 + by.x, sheet.area.y0 + by.y, sheet.area.x1 + by.x, sheet.area.y1 + by.y};
      sheet.window = sheet.window + aside;
    }
    const Derived after = derived(p);
    CHECK(total_length(after.plan) == Approx(total_length(before.plan)).epsilon(1e-6));
    REQUIRE(after.plan.passes.size() == before.plan.passes.size());
    for (std::size_t i = 0; i < after.plan.passes.size(); ++i) {
      const Pass &a = before.plan.passes[i], &b = after.plan.passes[i];
      CHECK(a.tool == b.tool);
      CHECK(a.strokes.size() == b.strokes.size());
      Box was, is;
      for (const auto& s : a.strokes) {
        for (const Vec q : s.points()) was.add(q);
      }
      for (const auto& s : b.strokes) {
        for (const Vec q : s.points()) is.add(q);
      }
      CHECK(is.x0 == Approx(was.x0 + by.x).margin(1e-6));
      CHECK(is.y1 == Approx(was.y1 + by.y).margin(1e-6));
    }
  }
}

TEST_CASE("after every edit the saved project loads equal and says the same") {
  using Edit = std::pair<const char*, std::function<Project(const Project&, int)>>;
  auto value_or = [](Result<Project> r, const Project& else_project) { return r ? std::move(*r) : else_project; };
  const std::vector<Edit> edits{
      {"move",
       [](const Project& p, int id) {
         return move_pieces(p, {id}, {1.23456789, -2.5});
       }},
      {"turn", [](const Project& p, int id) { return turn_pieces(p, drawn(p), {id}, 33.3); }},
      {"mirror", [](const Project& p, int id) { return mirror_pieces(p, drawn(p), {id}, true); }},
      {"size", [](const Project& p, int id) { return sized(p, id, 41.7, std::nullopt); }},
      {"rename", [](const Project& p, int id) { return rename_piece(p, id, "Léa \"& <Molo>\" \u706f\u53f0"); }},
      {"lock", [](const Project& p, int id) { return set_aspect_lock(p, id, false); }},
      {"copy", [](const Project& p, int id) { return duplicate_piece(p, id); }},
      {"layer", [](const Project& p, int id) { return shift_layer(p, id, 1); }},
      {"stock", [](const Project& p, int id) { return set_stock(p, id, p.stocks.back().id); }},
      {"helper", [](const Project& p, int id) { return set_helper(p, id, true); }},
      {"group",
       [](const Project& p, int id) {
         return group_pieces(p, {id, p.pieces.back()->id}, "Pier / 3");
       }},
      {"offset",
       [&](const Project& p, int id) {
         return value_or(add_step(p, id, step("offset", {{"by", 1.5}})), p);
       }},
      {"fill",
       [&](const Project& p, int id) {
         return value_or(add_step(p, id, step("fill", {{"spacing", 2.0}})), p);
       }},
      {"role",
       [](const Project& p, int id) {
         const Piece* piece = find_piece(p, id);
         return piece->lines.empty() ? p : assign_role(p, {{id, piece->lines.front().id}}, Role::engrave);
       }},
      {"freeze", [](const Project& p, int id) { return freeze(p, drawn(p), id); }},
      {"trim under", [](const Project& p, int) { return trim_under(p, {}, 1); }},
      {"remove", [](const Project& p, int id) { return remove_pieces(p, {id}); }},
  };
  for (const auto& name : {"lighthouse-card", "stall-sign"}) {
    const Project start = demo(name);
    Project p = start;
    int piece = 0;
    for (const auto& [what, edit] : edits) {
      INFO(name << ", " << what);
      p = edit(p, p.pieces[static_cast<std::size_t>(piece++) % p.pieces.size()]->id);
      const std::string bytes = to_json(p);
      const auto again = project_from_json(bytes, "again");
      if (!again) FAIL(line_of(again.error()));
      CHECK(*again == p);
      CHECK(to_json(*again) == bytes);
      const Derived a = derived(p), b = derived(*again);
      CHECK(said(a) == said(b));
      CHECK(hpgl_of(compile(a.plan, p.machine)).text == hpgl_of(compile(b.plan, p.machine)).text);
    }
    CHECK_FALSE(p == start);
  }
}

TEST_CASE("helper pieces, printed lines and guides never run") {
  for (const auto& name : kDemos) {
    INFO(name);
    Project p = demo(name);
    p = set_helper(p, p.pieces.front()->id, true);
    std::set<std::pair<int, std::size_t>> still;
    for (auto& piece : p.pieces) {
      piece.edit([&](Piece& x) {
        for (std::size_t i = 0; i < x.lines.size(); i += 2) {
          x.lines[i].role = i % 4 == 0 ? Role::print : Role::guide;
          x.lines[i].tool.clear();
          still.insert({x.id, i});
        }
      });
    }
    const Derived d = derived(p);
    std::size_t strokes = 0;
    for (const auto& pass : d.plan.passes) {
      CHECK(pass.role != Role::print);
      CHECK(pass.role != Role::guide);
      for (const auto& stroke : pass.strokes) {
        ++strokes;
        CHECK(stroke.piece != p.pieces.front()->id);
        const Piece* piece = find_piece(p, stroke.piece);
        REQUIRE(piece);
        if (piece->steps.empty() && piece->source.kind.empty()) CHECK(still.count({stroke.piece, stroke.line}) == 0);
      }
    }
    CHECK(strokes > 0);
  }
}
