// G-code: written to the dialect of the NIST interpreter, read back, and refused where it makes no sense.
#include "core/job/gcode.hpp"

#include <random>

#include "fixtures.hpp"
#include "ran.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::size_t count(const std::string& text, const std::string& what) {
  std::size_t n = 0;
  for (std::size_t at = text.find(what); at != std::string::npos; at = text.find(what, at + 1)) ++n;
  return n;
}

std::vector<Command> read(const std::string& text, const GcodeProfile& profile = {}) {
  GcodeReader reader(100, profile);
  std::vector<Command> out;
  REQUIRE(reader.feed(text, out));
  REQUIRE(reader.end(out));
  return out;
}

std::vector<Vec> downs(const std::vector<Command>& commands) {
  std::vector<Vec> out;
  for (const auto& c : commands) {
    if (c.kind == Command::Kind::down) out.insert(out.end(), c.points.begin(), c.points.end());
  }
  return out;
}

}  // namespace

TEST_CASE("the G-code of a small job, to the letter") {
  Project p = project_of(R"(<rect id="tag" x="10" y="20" width="30" height="10"/>)");
  p.sheets[0].area = Box::of(0, 0, 100, 100);
  CHECK(gcode_of(compile(derived(p).plan, p.machine)).text ==
        "(dot-lane, mm)\n"
        "G21 G90 G17\n"
        "G0 Z5\n"
        "(dot-lane start mat 1 holders 1=fine-blade 2=-)\n"
        "T1 M6 (holder 1)\n"
        "(force 130 gf)\n"
        "(dot-lane depth 4)\n"
        "G0 X11 Y274.8\n"  // a millimetre off the corner
        "G1 Z0 F600\n"
        "G1 X10 Y274.8 F3600\n"
        "G1 X10 Y284.8\n"
        "G1 X40 Y284.8\n"
        "G1 X40 Y274.8\n"
        "G1 X11 Y274.8\n"
        "G0 Z5\n"
        "M2\n");
}

TEST_CASE("arcs are found where they are asked for, and end where the points do") {
  Project p = project_of(R"(<circle id="disc" cx="60" cy="60" r="25"/>)");
  const Job job = compile(derived(p).plan, p.machine);
  GcodeProfile arcs;
  arcs.arcs = true;
  const std::string with = gcode_of(job, arcs).text, without = gcode_of(job).text;
  CHECK(count(with, "\nG2") + count(with, "\nG3") >= 3);
  CHECK(count(with, "\nG2") + count(with, "\nG3") <= 12);
  CHECK(count(with, "\n") < count(without, "\n") / 5);
  // Every point of the arcs lies on the circle.
  for (const Vec at : downs(read(with, arcs))) {
    CHECK(std::abs(distance(at, {60, 60 - (304.8 - 100)}) - 25) < 0.02);
  }
}

TEST_CASE("a quarter arc as the standard has it: centre by I and J, clockwise and counter-clockwise") {
  // From (10, 0) about (0, 0), y up, to (0, 10) counter-clockwise; and clockwise the long way round.
  const auto quarter = downs(read("G21 G90\nG0 Z5\nG0 X10 Y0\nG1 Z0\nG3 X0 Y10 I-10 J0\n"));
  const auto rest = downs(read("G21 G90\nG0 Z5\nG0 X10 Y0\nG1 Z0\nG2 X0 Y10 I-10 J0\n"));
  double length = 0;
  for (std::size_t i = 1; i < quarter.size(); ++i) length += distance(quarter[i - 1], quarter[i]);
  CHECK(length == Approx(std::numbers::pi * 5).margin(0.01));
  length = 0;
  for (std::size_t i = 1; i < rest.size(); ++i) length += distance(rest[i - 1], rest[i]);
  CHECK(length == Approx(std::numbers::pi * 15).margin(0.02));
  for (const Vec at : rest) CHECK(distance(at, {0, 100}) == Approx(10).margin(0.01));
}

TEST_CASE("inches, relative moves, servo lifts and remarks") {
  GcodeProfile servo;
  servo.servo = true, servo.up = 20, servo.down = 70;
  const auto commands = read("G20 G91 ; inches\nM3 S20\nG0 X1 Y1\nM3 S70 (down)\ng1x1f10\nG1 Y1\nM5\n", servo);
  const auto points = downs(commands);
  REQUIRE(points.size() == 3);
  CHECK(points[0].x == Approx(25.4));
  CHECK(points[1].x == Approx(50.8));
  CHECK(points[2].y == Approx(100 - 50.8));
  const auto speed =
      std::find_if(commands.begin(), commands.end(), [](const Command& c) { return c.kind == Command::Kind::speed; });
  CHECK(speed->number == Approx(254.0 / 60));
}

TEST_CASE("the whole job of four inks runs from its G-code: pauses, holders, lengths") {
  const Project p = four_inks();
  const Derived d = derived(p);
  const Job job = compile(d.plan, p.machine);
  for (const bool tool_change : {true, false}) {
    GcodeProfile profile;
    profile.tool_change = tool_change;
    const Ran r = ran_gcode(job, profile);
    CHECK(r.record.outcome == Outcome::done);
    CHECK(r.record.pauses == 2);
    for (const auto& pass : d.plan.passes)
      CHECK(r.record.marked_mm.at(pass.tool) == Approx(pass.length_mm).epsilon(0.001));
  }
}

TEST_CASE("profiles say what is wrong with them") {
  CHECK(gcode_profile_from(R"({"lift": "servo", "up": 30, "down": 90, "arcs": true})")->servo);
  for (const auto& [text, what] :
       std::vector<std::pair<const char*, const char*>>{{"[]", "object"},
                                                        {R"({"lift": "crane"})", "lift"},
                                                        {R"({"up": "high"})", "up"},
                                                        {R"({"up": 1, "down": 1})", "lifted"},
                                                        {R"({"feed": 1})", "feed"},
                                                        {R"({"arcs": 1})", "arcs"},
                                                        {R"({"before": 1})", "before"},
                                                        {R"({"plunge_mm_s": 0})", "plunge_mm_s"},
                                                        {R"({"settle_s": -1})", "settle_s"},
                                                        {R"({"tolerance_mm": 5})", "tolerance_mm"}}) {
    const auto read = gcode_profile_from(text);
    INFO(text);
    REQUIRE_FALSE(read);
    CHECK(sentence(read.error().said).find(what) != std::string::npos);
  }
}

TEST_CASE("what is no G-code is refused with its line, and nothing crashes") {
  for (const auto& [text, what] :
       std::vector<std::pair<const char*, const char*>>{{"G1 X\n", "a number is expected after X (line 1"},
                                                        {"\n5\n", "line 2"},
                                                        {"(never ends\n", "remark"},
                                                        {"G2 X5 Y5\n", "needs its middle"},
                                                        {"G0 X0 Y0\nG2 X50 Y5 I1 J0\n", "as far"},
                                                        {"G1 X1e9\n", "line 1"}}) {
    GcodeReader reader(100, {});
    std::vector<Command> out;
    auto read = reader.feed(text, out);
    if (read) read = reader.end(out);
    INFO(text);
    REQUIRE_FALSE(read);
    CHECK(sentence(read.error().said).find(what) != std::string::npos);
  }
  const Project p = four_inks();
  const std::string good = gcode_of(compile(derived(p).plan, p.machine)).text;
  std::mt19937 random(3);
  int refused = 0;
  for (int round = 0; round < 600; ++round) {
    std::string hurt = good;
    for (int k = 0; k < 8; ++k) hurt[random() % hurt.size()] = static_cast<char>(random());
    Cutter cutter(p.machine, {"pen-e8d21c", "pen-9c5a2e"});
    cutter.set_reader(std::make_unique<GcodeReader>(p.machine.mat.height_mm, GcodeProfile{}));
    cutter.feed(hurt);
    cutter.end();
    for (int i = 0; i < 20; ++i) {
      cutter.advance(1e5);
      if (cutter.state() == Cutter::State::paused) (void)cutter.loaded(cutter.wanted().holders);
    }
    CHECK(std::isfinite(cutter.seconds()));
    refused += cutter.state() == Cutter::State::failed;
  }
  CHECK(refused > 100);
}
