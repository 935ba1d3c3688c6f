// Work at the edge of what is sensible: kernels that give up say so, and what was quadratic once stays bearable.
#include <sys/resource.h>
#include <sys/wait.h>
#include <unistd.h>
#include <atomic>
#include <functional>
#include <thread>

#include "core/check/doubled.hpp"
#include "core/geometry/grid.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/parallel.hpp"
#include "core/geometry/path_data.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Project with_step(const std::string& body, const char* kind, const Values& values) {
  Step step;
  step.kind = kind;
  step.values = values;
  auto p = add_step(project_of(body), 1, step);
  if (!p) FAIL(line_of(p.error()));
  return *p;
}

const DrawnPiece& only(const Drawing& drawing) { return *find_drawn(drawing, 1); }

/// Runs the work in a process of its own that may take `mb` of memory and `seconds` of the processor; its exit code.
int bounded(rlim_t mb, rlim_t seconds, const std::function<bool()>& work) {
  const pid_t child = fork();
  if (child == 0) {
    const rlimit memory{mb << 20, mb << 20}, time{seconds, seconds};
    setrlimit(RLIMIT_AS, &memory);
    setrlimit(RLIMIT_CPU, &time);
    int code = 2;
    try {
      code = work() ? 0 : 1;
    } catch (...) {
    }
    _exit(code);
  }
  int status = 0;
  waitpid(child, &status, 0);
  return WIFEXITED(status) ? WEXITSTATUS(status) : 100 + WTERMSIG(status);
}

#if defined(DOTLANE_SANITIZED)
constexpr bool kBounded = false;  // the sanitizer's own address space is larger than any limit
#else
constexpr bool kBounded = true;
#endif

}  // namespace

TEST_CASE("a step whose kernel gives up says so and leaves the lines as they were") {
  // Rings 0.02 mm apart in a square of 280 mm would be 7,000, one inside the other.
  const Project p = with_step(R"(<rect id="sheet" x="10" y="10" width="280" height="280"/>)", "fill",
                              {{"pattern", std::string("contour")}, {"spacing", 0.02}});
  const Drawing d = drawn(p);
  REQUIRE(only(d).outcomes.size() >= 1);
  const StepOutcome& outcome = only(d).outcomes.back();
  INFO(sentence(outcome.trouble));
  CHECK(sentence(outcome.trouble).find("4,000 rings") != std::string::npos);
  CHECK(sentence(outcome.trouble).find("left as they were") != std::string::npos);
  REQUIRE(only(d).piece->lines.size() == 1);
  CHECK(bounds_of(*only(d).piece->lines.front().path).width() == Approx(280));
  // Findings name it, and the job still holds the line.
  const Derived all = derived(p);
  CHECK(finding(all, "recipe-trouble"));
  CHECK(all.plan.passes.size() == 1);
}

TEST_CASE("an operation without anything to do is no failure, one that cannot be done is") {
  ClipperLib::Clipper nothing;
  ClipperLib::Paths out;
  CHECK_NOTHROW(grid::execute(nothing, ClipperLib::ctUnion, out, ClipperLib::pftNonZero));
  CHECK(out.empty());
  // Open paths take a tree: Clipper refuses.
  ClipperLib::Clipper open;
  open.AddPath({{0, 0}, {1000, 0}, {1000, 1000}}, ClipperLib::ptSubject, false);
  CHECK_THROWS(grid::execute(open, ClipperLib::ctUnion, out, ClipperLib::pftNonZero));
}

TEST_CASE("work on several threads is done once each, and its first failure is heard") {
  std::vector<std::atomic<int>> times(5000);
  for_each_index(times.size(), 1, [&](std::size_t i) { ++times[i]; });
  for (const auto& n : times) CHECK(n == 1);
  CHECK_THROWS_AS(for_each_index(100, 1,
                                 [](std::size_t i) {
                                   if (i == 57) throw GeometryFailure("57");
                                 }),
                  GeometryFailure);
}

#if !defined(DOTLANE_SANITIZED)  // sanitizers take address space for themselves
TEST_CASE("where the system gives no more threads the work is done all the same") {
  const pid_t child = fork();
  REQUIRE(child >= 0);
  if (child == 0) {
    // No room for the stack of another thread; stacks that earlier ones left are taken up first.
    rlimit none{0, 0};
    std::vector<std::atomic<int>> times(2000);
    setrlimit(RLIMIT_AS, &none);
    bool refused = false;
    try {
      for (int i = 0; i < 100; ++i) std::thread([] { pause(); }).detach();
    } catch (const std::system_error&) {
      refused = true;
    }
    for_each_index(times.size(), 1, [&](std::size_t i) { ++times[i]; });
    bool once = true;
    for (const auto& n : times) once = once && n == 1;
    _exit(!refused ? 2 : once ? 0 : 1);
  }
  int status = 0;
  waitpid(child, &status, 0);
  REQUIRE(WIFEXITED(status));
  CHECK(WEXITSTATUS(status) == 0);
}
#endif

TEST_CASE("gaps are closed along thousands of dashes, each end once") {
  // A spiral of 12,000 dashes, 0.2 mm apart; the next turn lies 1 mm away.
  std::string d;
  const int n = 12'000;
  for (int i = 0; i < n; ++i) {
    const auto at = [](double k) {
      const double turn = std::sqrt(k * 0.12), r = 3 + turn / 6.28318;
      return std::to_string(150 + r * std::cos(turn)) + " " + std::to_string(150 + r * std::sin(turn));
    };
    d += "M" + at(i) + " L" + at(i + 0.6) + " ";
  }
  const Project p = with_step("<path id=\"spiral\" d=\"" + d + "\"/>", "close-gaps", {{"under", 0.6}});
  std::size_t contours = 0;
  const int ended = kBounded ? bounded(1500, 20,
                                       [&] {
                                         const Drawing made = drawn(p);
                                         return only(made).piece->lines.front().path->contours.size() <= 5;
                                       })
                             : 0;
  CHECK(ended == 0);
  const Drawing joined = drawn(p);
  for (const auto& line : only(joined).piece->lines) contours += line.path->contours.size();
  CHECK(contours <= 5);
}

TEST_CASE("dots strewn in a thin frame of five metres fit into little memory") {
  const std::string frame = R"(<path id="frame" fill-rule="evenodd" d="M0 0 H5000 V5000 H0 Z M1 1 V4999 H4999 V1 Z"/>)";
  const Project p = with_step(frame, "fill", {{"pattern", std::string("stipple")}, {"spacing", 2.0}});
  auto dots = [&] {
    std::size_t n = 0;
    const Drawing d = drawn(p);
    for (const auto& line : only(d).piece->lines) n += line.path->contours.size();
    return n;
  };
  if (kBounded) CHECK(bounded(1200, 60, [&] { return dots() > 3000; }) == 0);
}

TEST_CASE("lines that lie on each other are found however long they are") {
  for (const double length : {100.0, 1000.0, 90'000.0}) {
    INFO(length << " mm");
    const std::vector<std::vector<Polyline>> lines{
        {{{{0, 0}, {length, 0}}, false}}, {{{{0, 0.01}, {length, 0.01}}, false}}, {{{{0, 5}, {length, 5}}, false}}};
    const auto found = find_doubled(lines, 0.05, 2);
    REQUIRE(found.size() == 1);
    CHECK(found.front().first == 0);
    CHECK(found.front().second == 1);
    CHECK(found.front().length_mm == Approx(length).epsilon(0.02));
  }
}

TEST_CASE("thousands of rings inside one another come back in their order") {
  std::string d;
  for (int i = 0; i < 2500; ++i) {
    const double low = 10 + i * 0.05, size = 280 - i * 0.1;
    d += "M" + std::to_string(low) + " " + std::to_string(low) + " h" + std::to_string(size) + " v" +
         std::to_string(size) + " h-" + std::to_string(size) + " Z ";
  }
  const Project p = project_of("<path id=\"nest\" fill-rule=\"evenodd\" d=\"" + d + "\"/>");
  const Derived all = derived(p);
  REQUIRE(all.plan.passes.size() == 1);
  const auto& strokes = all.plan.passes.front().strokes;
  REQUIRE(strokes.size() == 2500);
  // Cut from the inside out: every ring before all that lie around it.
  double last = 0;
  for (const auto& stroke : strokes) {
    Box box;
    for (const Vec q : stroke.points()) box.add(q);
    CHECK(box.width() > last);
    last = box.width();
  }
}

TEST_CASE("a picture of lines is clipped by a region of many parts") {
  // 400 discs, and 300 lines across them.
  std::string discs, lines;
  for (int i = 0; i < 400; ++i)
    discs += "<circle cx=\"" + std::to_string(15 + i % 20 * 14) + "\" cy=\"" + std::to_string(15 + i / 20 * 14) +
             "\" r=\"5\"/>";
  for (int i = 0; i < 300; ++i) lines += "M5 " + std::to_string(5 + i * 0.95) + " H295 ";
  Project p = project_of(discs);
  const auto art = read_svg(
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#222"><path id="rows" d=")" +
          lines + "\"/></svg>",
      "rows.svg");
  REQUIRE(art);
  int id = 0;
  p = add_artwork(p, *art, "rows.svg", &id);
  Step step;
  step.kind = "overlap";
  step.values = {{"with", std::vector<double>{1}}};
  const auto clipped = add_step(p, id, step);
  REQUIRE(clipped);
  const Drawing d = drawn(*clipped);
  const DrawnPiece& piece = *find_drawn(d, id);
  CHECK(piece.outcomes.back().trouble.empty());
  double length = 0, wanted = 0;
  for (const auto& line : piece.piece->lines) length += length_of(*line.path);
  for (int i = 0; i < 300; ++i) {
    for (int row = 0; row < 20; ++row) {
      const double off = std::abs(5 + i * 0.95 - (15 + row * 14));
      if (off < 5) wanted += 20 * 2 * std::sqrt(25 - off * off);
    }
  }
  CHECK(length == Approx(wanted).epsilon(0.002));  // chords of circles
}
