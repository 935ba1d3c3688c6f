// A test cut lies on every sheet that is cut, clear of all parts, and is cut as they are.
#include "core/layout/test_cut.hpp"

#include "core/format/files.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Derived derived_from(const Project& project) {
  DrawingCache cache;
  return derive(project, cache);
}

/// By counting crossings to the right.
bool lies_in(const std::vector<Vec>& ring, Vec at) {
  bool in = false;
  for (std::size_t i = 0, k = ring.size() - 1; i < ring.size(); k = i++) {
    if ((ring[i].y > at.y) != (ring[k].y > at.y) &&
        at.x < (ring[k].x - ring[i].x) * (at.y - ring[i].y) / (ring[k].y - ring[i].y) + ring[i].x)
      in = !in;
  }
  return in;
}

}  // namespace

TEST_CASE("the demos get test cuts in free corners, with the force and depth of their own cuts") {
  for (const char* name : {"lighthouse-card", "fair-pennants", "fish-pennant", "lantern-badges"}) {
    for (const bool mirrored : {false, true}) {
      INFO(name << " " << mirrored);
      Project p = load_project(std::string(DOTLANE_DEMO) + "/" + name + ".dotlane").value();
      p.plan.mirrored = mirrored;
      const Derived whole = derived_from(p);
      const TestCut test = test_cut_of(p, whole.drawing, whole.layout);
      REQUIRE_FALSE(test.empty());
      const Derived cut = derived_from(test.project);
      REQUIRE_FALSE(cut.plan.passes.empty());
      CHECK(std::none_of(cut.findings.begin(), cut.findings.end(),
                         [](const Finding& f) { return f.severity == Severity::error; }));
      for (const auto& pass : cut.plan.passes) {
        CHECK(pass.role == Role::cut);
        const auto same = std::find_if(whole.plan.passes.begin(), whole.plan.passes.end(), [&](const Pass& other) {
          return other.sheet == pass.sheet && other.tool == pass.tool && other.role == Role::cut;
        });
        REQUIRE(same != whole.plan.passes.end());
        CHECK(same->force_gf == pass.force_gf);
        CHECK(same->depth == pass.depth);
        CHECK(same->speed_mm_s == pass.speed_mm_s);
        // Clear of what is run there later.
        for (const auto& other : whole.plan.passes) {
          if (other.sheet != pass.sheet || other.role != Role::cut) continue;
          for (const auto& stroke : other.strokes) {
            for (const auto& mine : pass.strokes) {
              for (const Vec q : mine.points()) {
                if (!stroke.closed()) continue;
                CHECK_FALSE(lies_in(stroke.points(), q));  // it would spoil the part
              }
            }
          }
        }
      }
    }
  }
}

TEST_CASE("a full sheet has no corner for a test cut, and says so") {
  Project p = new_project("full");
  Sheet sheet;
  sheet.id = 1, sheet.stock = "cover-65", sheet.area = Box::of(20, 20, 60, 40);
  sheet.window = {20, 20};
  p.sheets.push_back(sheet);
  Piece piece;
  piece.id = 1, piece.name = "all", piece.stock = "cover-65";
  Line line;
  line.id = "edge", line.role = Role::cut, line.tool = "blade";
  Contour edge{{22, 22}, {}, true};
  for (const Vec q : {Vec{78, 22}, {78, 58}, {22, 58}, {22, 22}}) edge.segments.push_back(Segment::line(q));
  line.path = Shared<Path>(Path{{edge}, FillRule::nonzero});
  piece.lines.push_back(line);
  p.pieces.push_back(Shared<Piece>(piece));
  const Derived d = derived_from(p);
  const TestCut test = test_cut_of(p, d.drawing, d.layout);
  CHECK(test.empty());
  CHECK(test.no_room == std::vector<int>{1});
}

TEST_CASE("a test cut comes free, whatever tabs hold the parts") {
  Project p = load_project(std::string(DOTLANE_DEMO) + "/lighthouse-card.dotlane").value();
  for (auto& stock : p.stocks) stock.settings[Role::cut].tabs = 3;
  const Derived whole = derived_from(p);
  const auto held = [](const Plan& plan) {
    return std::count_if(plan.passes.begin(), plan.passes.end(), [](const Pass& pass) { return pass.lead.tabs > 0; });
  };
  CHECK(held(whole.plan) > 0);
  const Derived test = derived_from(test_cut_of(p, whole.drawing, whole.layout).project);
  REQUIRE_FALSE(test.plan.passes.empty());
  CHECK(held(test.plan) == 0);
}
