#include "core/job/cutter.hpp"
#include "core/job/hpgl.hpp"

#include <random>

#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::vector<std::string> held(const std::vector<HolderLoad>& loads) {
  std::vector<std::string> out;
  for (const auto& l : loads) out.push_back(l.holds);
  return out;
}

struct Ran {
  Cutter cutter;
  std::vector<Mark> marks;
};

/// Runs the job in chunks and slices of these sizes, confirming every pause.
Ran run(const Job& job, std::size_t chunk, double slice) {
  Ran r{Cutter(job.machine, held(job.plan.first_load)), {}};
  const std::string stream = hpgl_of(job).text;
  for (std::size_t at = 0; at < stream.size(); at += chunk) r.cutter.feed(std::string_view(stream).substr(at, chunk));
  r.cutter.end();
  for (int i = 0; i < 2'000'000; ++i) {
    r.cutter.advance(slice);
    for (auto& m : r.cutter.take_marks()) r.marks.push_back(std::move(m));
    if (r.cutter.state() == Cutter::State::paused) {
      CHECK_FALSE(r.cutter.loaded(r.cutter.wanted().holders));
    } else if (r.cutter.state() != Cutter::State::running) {
      break;
    }
  }
  return r;
}

}  // namespace

TEST_CASE("the simulated cutter marks what the plan says, in the time the plan says") {
  const Project p = four_inks();
  const Derived d = derived(p);
  const Ran r = run(compile(d.plan, p.machine), 4096, 1000);
  REQUIRE(r.cutter.state() == Cutter::State::finished);
  CHECK(r.cutter.pauses() == 2);
  CHECK(r.cutter.seconds() == Approx(d.plan.running_seconds()).epsilon(0.005));
  for (const auto& pass : d.plan.passes)
    CHECK(r.cutter.marked_mm().at(pass.tool) == Approx(pass.length_mm).epsilon(0.001));
}

TEST_CASE("neither the size of the chunks nor of the time slices changes the result") {
  const Project p = four_inks();
  const Job job = compile(derived(p).plan, p.machine);
  const Ran whole = run(job, hpgl_of(job).text.size(), 1e6), bits = run(job, 7, 0.011);
  CHECK(bits.cutter.seconds() == Approx(whole.cutter.seconds()));
  for (const auto& [tool, mm] : whole.cutter.marked_mm()) CHECK(bits.cutter.marked_mm().at(tool) == Approx(mm));
  CHECK(bits.marks.size() > whole.marks.size());
}

TEST_CASE("a pause ends only when the right tools are in the right holders") {
  const Project p = four_inks();
  const Job job = compile(derived(p).plan, p.machine);
  Cutter cutter(job.machine, held(job.plan.first_load));
  cutter.feed(hpgl_of(job).text);
  cutter.end();
  cutter.advance(1e6);
  REQUIRE(cutter.state() == Cutter::State::paused);
  auto wanted = cutter.wanted().holders;
  std::swap(wanted[0], wanted[1]);
  CHECK(cutter.loaded(wanted).value().code == "wrong-load");
  CHECK(cutter.state() == Cutter::State::paused);
  CHECK(cutter.advance(5) == 0);
  CHECK_FALSE(cutter.loaded(cutter.wanted().holders));
  CHECK(cutter.state() == Cutter::State::running);
}

TEST_CASE("a wrong first load fails before anything is marked") {
  const Project p = four_inks();
  const Job job = compile(derived(p).plan, p.machine);
  Cutter cutter(job.machine, {"pencil", ""});
  cutter.feed(hpgl_of(job).text);
  cutter.advance(1e6);
  CHECK(cutter.state() == Cutter::State::failed);
  CHECK(cutter.marked_mm().empty());
}

TEST_CASE("hold stops the clock, cancel ends the run and keeps what was marked") {
  const Project p = four_inks();
  const Job job = compile(derived(p).plan, p.machine);
  Cutter cutter(job.machine, held(job.plan.first_load));
  cutter.feed(hpgl_of(job).text);
  cutter.advance(1.0);
  cutter.hold();
  CHECK(cutter.advance(10) == 0);
  CHECK(cutter.seconds() == Approx(1.0));
  cutter.resume();
  CHECK(cutter.advance(0.2) == Approx(0.2));
  cutter.cancel();
  CHECK(cutter.state() == Cutter::State::cancelled);
  CHECK(cutter.advance(10) == 0);
}

TEST_CASE("the sender gets credit for every byte, and no stroke is too long for its window") {
  std::string stream = "IN;SP1;PU0,0;PD";
  std::mt19937 random(1);
  for (int i = 0; i < 60'000; ++i)
    stream += std::to_string(random() % 9000) + "," + std::to_string(random() % 9000) + (i % 64 == 63 ? ";PD" : ",");
  stream += "0,0;PU;SP0;";
  Cutter cutter(Machine{}, {"pen-black"});
  std::size_t sent = 0, window = 64 * 1024, credit = 0;
  for (int i = 0; i < 100'000 && sent < stream.size(); ++i) {
    const std::size_t n = std::min({window, stream.size() - sent, std::size_t{5000}});
    cutter.feed(std::string_view(stream).substr(sent, n));
    sent += n, window -= n;
    cutter.advance(0.5);
    const auto more = cutter.take_credit();
    window += more, credit += more;
  }
  REQUIRE(sent == stream.size());
  cutter.end();
  cutter.advance(1e9);
  credit += cutter.take_credit();
  CHECK(cutter.state() == Cutter::State::finished);
  CHECK(credit == stream.size());
}

TEST_CASE("faults in the stream are named after all before them was carried out") {
  for (const char* bad : {"PD10,ten;", "XY1,2;", "PD;5;", "PD1"}) {
    Cutter cutter(Machine{}, {"pen-black"});
    cutter.feed("IN;SP1;PU0,0;PD400,0;PU;");
    cutter.feed(bad);
    cutter.end();
    cutter.advance(1e6);
    INFO(bad);
    CHECK(cutter.state() == Cutter::State::failed);
    CHECK_FALSE(cutter.problem().code.empty());
    CHECK(cutter.marked_mm().at("pen-black") == Approx(10));
  }
}

TEST_CASE("damaged streams never crash the cutter") {
  const Project p = four_inks();
  const Job job = compile(derived(p).plan, p.machine);
  const std::string good = hpgl_of(job).text;
  std::mt19937 random(77);
  int ran = 0, ended = 0;
  for (int round = 0; round < 400; ++round) {
    std::string hurt = good;
    // Three of four in the digits of their courses, so that they run on, and one in any byte.
    for (int k = 0; k < 6; ++k) {
      std::size_t at = random() % hurt.size();
      if (round % 4 != 0) {
        const auto course = [&] { return hurt[hurt.rfind('\n', at) + 1] == 'P'; };
        while (hurt[at] < '0' || hurt[at] > '9' || !course()) at = random() % hurt.size();
        hurt[at] = static_cast<char>('0' + random() % 10);
      } else {
        hurt[at] = static_cast<char>(random());
      }
    }
    if (round % 8 == 1) hurt.erase(random() % hurt.size(), 1);
    Cutter cutter(p.machine, held(job.plan.first_load));
    cutter.feed(hurt);
    cutter.end();
    for (int i = 0; i < 20; ++i) {
      cutter.advance(1e5);
      if (cutter.state() == Cutter::State::paused) (void)cutter.loaded(cutter.wanted().holders);
    }
    CHECK(std::isfinite(cutter.seconds()));
    ran += cutter.seconds() > 1;
    ended += cutter.state() == Cutter::State::finished || cutter.state() == Cutter::State::failed;
    if (cutter.state() == Cutter::State::failed) CHECK_FALSE(cutter.problem().code.empty());
    for (const auto& [tool, mm] : cutter.marked_mm()) CHECK((mm >= 0 && std::isfinite(mm)));
  }
  CHECK(ran > 200);  // most are no dead letters
  CHECK(ended == 400);
}

TEST_CASE("load markers read back") {
  const LoadMarker m{true, 3, 2, {"fine-blade", ""}};
  CHECK(marker_text(m) == "dot-lane pause 3 mat 2 holders 1=fine-blade 2=-");
  const auto back = marker_from(marker_text(m));
  REQUIRE(back);
  CHECK(back->pause);
  CHECK(back->number == 3);
  CHECK(back->mat == 2);
  CHECK(back->holders == m.holders);
  CHECK_FALSE(marker_from("a remark"));
}

TEST_CASE("the HPGL of a small job, to the letter") {
  Project p = project_of(R"(<rect id="tag" x="10" y="20" width="30" height="10"/>)");
  p.sheets[0].area = Box::of(0, 0, 100, 100);
  CHECK(hpgl_of(compile(derived(p).plan, p.machine)).text ==
        "IN;\n"
        "CO \"dot-lane start mat 1 holders 1=fine-blade 2=-\";\n"
        "SP1;VS6;FS130;\n"
        "CO \"dot-lane depth 4\";\n"
        "PU440,10992;PD400,10992,400,11392,1600,11392,1600,10992,440,10992;\n"  // a millimetre off the corner
        "PU;SP0;\n");
}
