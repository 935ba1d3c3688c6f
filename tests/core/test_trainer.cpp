// The exercises: each is spoiled as it comes, is mended by what its story asks for, and by nothing else.
#include <catch2/catch.hpp>
#include <functional>
#include <set>

#include "core/project/edit.hpp"
#include "core/trainer/verdict.hpp"
#include "words/sentences.hpp"

using namespace dotlane;

namespace {

using Edit = std::function<Project(Project)>;

Setting setting_on_first(const Project& p, Role role) {
  return setting_for(*find_stock(p, p.sheets.front().stock), role);
}

Edit force_and_depth(double force, double depth) {
  return [=](Project p) {
    Setting s = setting_on_first(p, Role::cut);
    s.force_gf = force, s.depth = depth;
    return set_setting(std::move(p), 1, Role::cut, s);
  };
}

Project with_tool(Project p, const std::string& id, const std::function<void(Tool&)>& change) {
  for (auto& tool : p.tools) {
    if (tool.id == id) change(tool);
  }
  return p;
}

Project mirrored(Project p, bool on) {
  p.plan.mirrored = on;
  return p;
}

/// What a learner does, by the edits that the window makes.
const std::map<std::string, Edit>& cures() {
  static const std::map<std::string, Edit> all{
      {"forgotten-role",
       [](Project p) {
         return assign_role(std::move(p), {{1, "wave"}}, Role::engrave, "engraving-tip");
       }},
      {"drawn-and-cut",
       [](Project p) {
         return remove_lines(std::move(p), {{1, "outline-drawn"}});
       }},
      {"not-through", force_and_depth(180, 5)},
      {"too-deep", force_and_depth(55, 1)},
      {"not-mirrored", [](Project p) { return mirrored(std::move(p), true); }},
      {"mirrored-twice", [](Project p) { return mirrored(std::move(p), false); }},
      {"cut-first",
       [](Project p) {
         p.plan.role_order = PlanSettings{}.role_order;
         return p;
       }},
      {"dark-before-light",
       [](Project p) {
         p.plan.by_hand.clear();
         return p;
       }},
      {"dry-pen",
       [](Project p) {
         std::vector<LineRef> all_lines;
         for (const auto& line : p.pieces.front()->lines) all_lines.push_back({1, line.id});
         return set_repeats(std::move(p), all_lines, 1);
       }},
      {"mat-out",
       [](Project p) {
         p.plan.by_tool = false;
         return p;
       }},
      {"raised-part",
       [](Project p) {
         return move_pieces(std::move(p), {2}, {-20, 38});
       }},
      {"chisel-tip",
       [](Project p) { return with_tool(std::move(p), "chisel-marker", [](Tool& t) {
                         t.tip_mm = {1.1, -0.6};
                       }); }},
      {"trailing-blade", [](Project p) { return with_tool(std::move(p), "blade", [](Tool& t) { t.trail_mm = 0.9; }); }},
      {"long-machine",
       [](Project p) {
         p.machine.scale = {1.006, 0.997};
         return p;
       }},
      {"three-at-once",
       [](Project p) {
         p = assign_role(std::move(p), {{1, "star"}}, Role::draw, "pen-black");
         return force_and_depth(60, 1)(mirrored(std::move(p), true));
       }},
  };
  return all;
}

std::string told(const Verdict& verdict) {
  std::string out;
  for (const auto& point : verdict.points) {
    if (!point.holds) out += sentence(point.said) + " ";
  }
  return out;
}

}  // namespace

TEST_CASE("every exercise can be solved and cannot be passed unsolved") {
  REQUIRE(exercises().size() >= 12);
  int level = 1;
  for (const auto& exercise : exercises()) {
    INFO(exercise.id);
    CHECK(exercise.level >= level);  // easy ones first
    level = exercise.level;
    const Lesson lesson = lesson_of(exercise);
    const Verdict spoiled = judge(lesson, lesson.start);
    CHECK_FALSE(spoiled.passed());
    REQUIRE(cures().contains(std::string(exercise.id)));
    const Verdict mended = judge(lesson, cures().at(std::string(exercise.id))(lesson.start));
    INFO(told(mended));
    CHECK(mended.passed());
  }
}

TEST_CASE("the cure of another exercise solves none, nor does leaving everything out") {
  for (const auto& exercise : exercises()) {
    const Lesson lesson = lesson_of(exercise);
    INFO(exercise.id);
    Project nothing = lesson.start;
    nothing.plan.roles_not_now = {Role::cut, Role::draw, Role::engrave};
    CHECK_FALSE(judge(lesson, nothing).passed());
    Project bare = lesson.start;
    bare.pieces.clear();
    CHECK_FALSE(judge(lesson, bare).passed());
    for (const char* other : {"not-through", "too-deep", "mat-out", "cut-first", "chisel-tip"}) {
      if (exercise.id == other) continue;
      INFO(other);
      CHECK_FALSE(judge(lesson, cures().at(other)(lesson.start)).passed());
    }
  }
}

TEST_CASE("the other ways to solve an exercise count as well") {
  const Lesson twice = lesson_of(*find_exercise("mirrored-twice"));
  DrawingCache cache;
  const Drawing drawing = evaluate(twice.start, cache);
  // Turned back in the figure instead, about the middle of the sheet.
  const double middle = twice.start.sheets.front().area.centre().x;
  CHECK(judge(twice, place_pieces(twice.start, {1}, Affine{-1, 0, 0, 1, 2 * middle, 0})).passed());
  // About its own middle it lies elsewhere on the sheet.
  CHECK_FALSE(judge(twice, mirror_pieces(twice.start, drawing, {1}, true)).passed());
  const Lesson label = lesson_of(*find_exercise("drawn-and-cut"));
  CHECK(judge(label, assign_role(label.start, {{1, "outline-drawn"}}, Role::guide)).passed());
}

TEST_CASE("words of exercises are there, and figures in their stories") {
  std::set<std::string> titles;
  for (const auto& exercise : exercises()) {
    titles.insert(sentence(title_of(exercise)));
    for (const auto& said : {title_of(exercise), story_of(exercise), hint_of(exercise)})
      CHECK(sentence(said) != said.code);
  }
  CHECK(titles.size() == exercises().size());
  CHECK_THAT(sentence(story_of(*find_exercise("chisel-tip"))), Catch::Contains("1.1 mm") && Catch::Contains("0.6 mm"));
  CHECK_THAT(sentence(story_of(*find_exercise("long-machine"))), Catch::Contains("201.2") && Catch::Contains("199.4"));
}
