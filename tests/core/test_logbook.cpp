// The logbook: what is kept comes back, older files are brought up to date, damage is set aside.
#include "core/logbook/logbook.hpp"

#include <filesystem>
#include <fstream>
#include <random>

#include "core/format/project_json.hpp"
#include "core/job/outcome.hpp"
#include "core/logbook/advice.hpp"
#include "core/logbook/log_run.hpp"
#include "core/logbook/logbook_text.hpp"
#include "core/project/presets.hpp"
#include "core/sqlite.hpp"
#include "fixtures.hpp"
#include "ran.hpp"
#include "scratch.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

namespace fs = std::filesystem;

struct BookFolder : Scratch {
  [[nodiscard]] std::string file(const std::string& name = "logbook.sqlite") const { return Scratch::file(name); }
};

LoggedRun a_run(int n, unsigned seed = 1) {
  std::mt19937 random(seed * 1000 + static_cast<unsigned>(n));
  std::uniform_real_distribution<double> some(0, 300);
  LoggedRun run;
  run.job = "job-" + std::to_string(n);
  run.begun = "2026-0" + std::to_string(1 + n % 9) + "-1" + std::to_string(n % 10) + "T10:00:00";
  run.project = n % 2 == 0 ? "Lantern \"card\", gilt" : "Pennant\nof felt, 1½";
  run.file = "/home/fair/card.dotlane", run.machine = "Two-holder cutter";
  run.rehearsed = n % 5 == 0, run.test_cut = n % 7 == 0;
  run.outcome = n % 4 == 0 ? Outcome::cancelled : Outcome::done;
  run.parts = 1 + n % 3, run.planned_s = some(random), run.real_s = some(random) / 3;
  run.strokes = n * 10, run.missing = n % 3, run.farthest_mm = some(random) / 1e5;
  run.weeding = kWeedings[static_cast<std::size_t>(n) % 3];
  run.note = n % 3 == 0 ? "" : "ate, \"café\" and, commas\r\nin two lines";
  for (int k = 1; k <= 1 + n % 4; ++k) {
    LoggedPass p;
    p.index = k, p.role = k % 2 == 0 ? Role::draw : Role::cut;
    p.tool = k % 2 == 0 ? "pen-black" : "blade", p.tool_name = "Tool", p.tool_kind = "blade";
    p.stock = n % 2 == 0 ? "cover-65" : "felt", p.stock_name = "Cover card 65 lb";
    p.thickness_mm = 0.24, p.grammage_gsm = 175.76;
    p.force_gf = std::round(some(random)), p.speed_mm_s = 60, p.depth = k, p.planned_s = some(random),
    p.pace = 1 + k * 0.1;
    p.real_s = some(random), p.lifts = n, p.metres = some(random) / 7;
    p.came_out = kCameOut[static_cast<std::size_t>(n + k) % kCameOut.size()];
    run.passes.push_back(p);
  }
  for (int k = 1; k <= n % 3; ++k) run.pauses.push_back({k, 45, some(random)});
  run.sheets.push_back({1, "cover-65", 280.5, 120.25, 3, n % 2 == 0});
  if (n % 4 == 1) run.photos = {"front.jpg", "with \"quotes\", and commas.jpg"};
  return run;
}

LoggedRun without_ids(LoggedRun run) {
  run.id = 0;
  return run;
}

}  // namespace

TEST_CASE("runs come back as they were kept, with their projects and pictures") {
  const BookFolder folder;
  auto book = Logbook::open(folder.file());
  REQUIRE(book);
  const std::string project(200'000, 'x');
  for (int n = 1; n <= 20; ++n) {
    const auto id = book->keep(a_run(n), project + std::to_string(n % 2), n % 3 == 0 ? "\x89PNG\0bytes" : "");
    REQUIRE(id);
    LoggedRun back = book->run(*id).value();
    CHECK(back.id == *id);
    back.project_key.clear();
    CHECK(without_ids(back) == a_run(n));
    CHECK(book->project_of(*id).value() == project + std::to_string(n % 2));
    CHECK(book->picture_of(*id).value().empty() == (n % 3 != 0));
  }
  CHECK(book->count().value() == 20);
  CHECK(book->check().value().empty());
  CHECK_FALSE(book->run(99));
  // The same project is kept once.
  CHECK(fs::file_size(folder.file()) < 400'000);
}

TEST_CASE("a run that is gone on with stays one, and what was said of it stays") {
  const BookFolder folder;
  Logbook book = Logbook::open(folder.file()).value();
  LoggedRun run = a_run(6);
  for (auto& p : run.passes) p.came_out = CameOut::unsaid;
  run.outcome = Outcome::failed, run.note.clear();
  const auto id = book.keep(run, "{}").value();
  REQUIRE(book.say(id, 1, CameOut::weak));
  REQUIRE(book.note(id, "the corner lifted"));
  REQUIRE(book.say(id, Weeding::hard));
  REQUIRE(book.add_photo(id, "corner.jpg"));
  run.outcome = Outcome::done, run.parts = 2;
  CHECK(book.keep(run, "{}").value() == id);
  CHECK(book.count().value() == 1);
  const LoggedRun back = book.run(id).value();
  CHECK(back.outcome == Outcome::done);
  CHECK(back.parts == 2);
  CHECK(back.passes.front().came_out == CameOut::weak);
  CHECK(back.passes.back().came_out == CameOut::unsaid);
  CHECK(back.note == "the corner lifted");
  CHECK(back.weeding == Weeding::hard);
  CHECK(back.photos == std::vector<std::string>{"corner.jpg"});
}

TEST_CASE("lists are filtered as asked, newest first") {
  const BookFolder folder;
  Logbook book = Logbook::open(folder.file()).value();
  std::vector<LoggedRun> all;
  for (int n = 1; n <= 40; ++n) {
    all.push_back(a_run(n));
    REQUIRE(book.keep(all.back(), "{}"));
  }
  const auto expect = [&](const RunFilter& filter, const std::function<bool(const LoggedRun&)>& wanted) {
    const auto found = book.glances(filter).value();
    CHECK(found.size() == static_cast<std::size_t>(std::count_if(all.begin(), all.end(), wanted)));
    CHECK(std::is_sorted(found.begin(), found.end(), [](const auto& a, const auto& b) { return a.begun > b.begun; }));
    const auto whole = book.runs(filter).value();
    REQUIRE(whole.size() == found.size());
    for (std::size_t i = 0; i < whole.size(); ++i) {
      CHECK(whole[i].id == found[i].id);
      CHECK(wanted(whole[i]));
    }
  };
  const auto any_pass = [](const LoggedRun& run, const auto& like) {
    return std::any_of(run.passes.begin(), run.passes.end(), like);
  };
  expect({}, [](const LoggedRun&) { return true; });
  expect({.stock = "felt"}, [&](const LoggedRun& r) { return any_pass(r, [](auto& p) { return p.stock == "felt"; }); });
  expect({.stock = "felt", .came_out = CameOut::torn}, [&](const LoggedRun& r) {
    return any_pass(r, [](auto& p) { return p.stock == "felt" && p.came_out == CameOut::torn; });
  });
  expect({.tool = "pen-black", .rehearsed = false}, [&](const LoggedRun& r) {
    return !r.rehearsed && any_pass(r, [](auto& p) { return p.tool == "pen-black"; });
  });
  expect({.project = "Pennant\nof felt, 1½"}, [](const LoggedRun& r) { return r.project.starts_with("Pennant"); });
  expect({.stock = "no'such\"stock"}, [](const LoggedRun&) { return false; });
  CHECK(book.glances({.most = 7}).value().size() == 7);
  // The worst of a run's passes stands for it.
  const auto glances = book.glances().value();
  for (const auto& g : glances) {
    const LoggedRun run = book.run(g.id).value();
    constexpr std::array kOrder{CameOut::torn, CameOut::weak,    CameOut::strong,
                                CameOut::good, CameOut::skipped, CameOut::unsaid};
    const auto worst = *std::find_if(kOrder.begin(), kOrder.end(), [&](CameOut out) {
      return any_pass(run, [&](auto& p) { return p.came_out == out; });
    });
    CHECK(g.came_out == worst);
  }
}

TEST_CASE("files of every older version are brought up to date, with what is in them") {
  REQUIRE(logbook_version() >= 3);
  for (int version = 1; version <= logbook_version(); ++version) {
    INFO(version);
    const BookFolder folder;
    REQUIRE(make_old_logbook(folder.file(), version));
    {  // as a program of that time wrote it
      Database old(folder.file());
      old.run("INSERT INTO projects (key, size, packed) VALUES ('k', 0, x'789c030000000001')");
      old.run(
          "INSERT INTO runs (id, job, begun, project, file, project_key, machine, rehearsed, outcome, parts, "
          "planned_s, "
          "real_s, strokes, missing, farthest_mm) VALUES (4, 'old', '2026-01-02T03:04:05', 'Old card', '', 'k', 'm', "
          "0, "
          "'done', 1, 60, 61, 12, 0, 0.02)");
      old.run(
          "INSERT INTO passes (run, pass, role, tool, tool_name, tool_kind, stock, stock_name, thickness_mm, "
          "grammage_gsm, holder, force_gf, speed_mm_s, depth, repeats, planned_s, real_s, lifts, metres) VALUES (4, 1, "
          "'cut', 'blade', 'Blade', 'blade', 'felt', 'Felt', 1, 200, 1, 150, 60, 4, 1, 60, 61, 12, 3.5)");
    }
    Logbook book = Logbook::open(folder.file()).value();
    const LoggedRun run = book.run(4).value();
    CHECK(run.project == "Old card");
    CHECK(run.passes.front().metres == 3.5);
    CHECK(run.passes.front().came_out == CameOut::unsaid);
    CHECK(run.note.empty());
    CHECK(book.project_of(4).value().empty());
    REQUIRE(book.say(4, 1, CameOut::good));
    CHECK(book.run(4).value().passes.front().came_out == CameOut::good);
    CHECK(book.metres_of("blade").value() == 3.5);
    CHECK(book.check().value().empty());
    Database now(folder.file());
    Statement stands(now, "PRAGMA user_version");
    REQUIRE(stands.step());
    CHECK(stands.integer(0) == logbook_version());
  }
  // One of the future is left alone.
  const BookFolder folder;
  {
    Database future(folder.file());
    future.run("PRAGMA user_version = 99");
  }
  const auto refused = Logbook::open(folder.file());
  REQUIRE_FALSE(refused);
  CHECK_THAT(line_of(refused.error()), Catch::Contains("newer version") && Catch::Contains("logbook.sqlite"));
}

TEST_CASE("two windows write into one file, and both have all of it") {
  const BookFolder folder;
  Logbook one = Logbook::open(folder.file()).value(), two = Logbook::open(folder.file()).value();
  for (int n = 1; n <= 30; ++n) REQUIRE((n % 2 ? one : two).keep(a_run(n), "{}"));
  CHECK(one.count().value() == 30);
  CHECK(two.runs().value() == one.runs().value());
}

TEST_CASE(
    "a copy is made once a day and kept for as long as is said, and a damaged file gives way to the newest sound one") {
  const BookFolder folder;
  const std::string copies = folder.file("copies");
  {
    Logbook book = Logbook::open(folder.file()).value();
    for (int day = 1; day <= 9; ++day) {
      REQUIRE(book.keep(a_run(day), "{}"));
      REQUIRE(book.back_up(copies, "2026-03-0" + std::to_string(day), 5));
      REQUIRE(book.back_up(copies, "2026-03-0" + std::to_string(day), 5));
    }
  }
  std::vector<std::string> names;
  for (const auto& entry : fs::directory_iterator(copies)) names.push_back(entry.path().filename().string());
  std::sort(names.begin(), names.end());
  CHECK(names == std::vector<std::string>{"logbook-2026-03-05.sqlite", "logbook-2026-03-06.sqlite",
                                          "logbook-2026-03-07.sqlite", "logbook-2026-03-08.sqlite",
                                          "logbook-2026-03-09.sqlite"});
  // The file and the newest copy are damaged.
  std::mt19937 random(3);
  for (const std::string& path : {folder.file(), copies + "/logbook-2026-03-09.sqlite"}) {
    std::fstream file(path, std::ios::in | std::ios::out | std::ios::binary);
    file.seekp(0);
    for (int i = 0; i < 3000; ++i) file.put(static_cast<char>(random()));
  }
  const auto damaged = Logbook::open(folder.file());
  REQUIRE_FALSE(damaged);
  CHECK(damaged.error().kind == ErrorKind::malformed);
  const Mended mended = mend_logbook(folder.file(), copies, "2026-03-10").value();
  CHECK(fs::exists(mended.aside));
  CHECK_THAT(mended.from, Catch::Contains("03-08"));
  CHECK(Logbook::open(folder.file()).value().count().value() == 8);
  // Where there is no copy, there is a new one.
  const BookFolder bare;
  std::ofstream(bare.file()) << "this is no logbook";
  CHECK(mend_logbook(bare.file(), bare.file("none"), "today").value().from.empty());
  CHECK(Logbook::open(bare.file()).value().count().value() == 0);
}

TEST_CASE("JSON lines and CSV bring back exactly what went out") {
  const BookFolder folder;
  Logbook book = Logbook::open(folder.file()).value();
  for (int n = 1; n <= 25; ++n) REQUIRE(book.keep(a_run(n), "{\"n\": " + std::to_string(n % 3) + "}"));
  auto all = book.runs().value();
  Logbook other = Logbook::open(folder.file("other.sqlite")).value();
  CHECK(import_json(other, export_json(book).value(), "runs.jsonl").value().runs == 25);
  auto back = other.runs().value();
  for (auto& r : all) r.id = 0;
  for (auto& r : back) r.id = 0;
  CHECK(back == all);
  CHECK(export_json(other).value() == export_json(book).value());
  const auto rows = from_csv(to_csv(all), "runs.csv");
  REQUIRE(rows);
  CHECK(*rows == all);
  CHECK(to_csv(*rows) == to_csv(all));
  // A second time changes nothing.
  CHECK(import_json(other, export_json(book).value(), "runs.jsonl").value().runs == 25);
  CHECK(other.count().value() == 25);
}

TEST_CASE("what is no log is refused with its line, and what stood before is kept") {
  const BookFolder folder;
  Logbook book = Logbook::open(folder.file()).value();
  const std::string good = json_line(a_run(1)) + "\n";
  for (const auto& [bad, says] : std::initializer_list<std::pair<std::string, std::string>>{
           {"not json\n", "runs.jsonl:2: "},
           {"[1]\n", "object"},
           {"{\"job\":\"x\",\"outcome\":\"splendid\"}\n", "no outcome"},
           {"{\"job\":\"x\",\"outcome\":\"done\",\"parts\":\"two\"}\n", "\"parts\" is a number"},
           {"{\"job\":\"x\",\"outcome\":\"done\",\"passes\":[{\"role\":\"juggle\"}]}\n", "no role"}}) {
    INFO(bad);
    const auto done = import_json(book, good + bad, "runs.jsonl");
    REQUIRE_FALSE(done);
    CHECK_THAT(line_of(done.error()), Catch::Contains(says));
    CHECK(book.count().value() == 1);
  }
  for (const auto& [bad, says] : std::initializer_list<std::pair<std::string, std::string>>{
           {"\"row\",\"job\"\r\n\"pass\",\"x\"\r\n", "runs.csv:2: "},
           {"\"row\",\"job\"\r\n\"run\",\"never ends", "never ends"},
           {"\"row\",\"job\"\r\n\"run\",\"x\",\"more\"\r\n", "more cells"}}) {
    INFO(bad);
    const auto rows = from_csv(bad, "runs.csv");
    REQUIRE_FALSE(rows);
    CHECK_THAT(line_of(rows.error()), Catch::Contains(says));
  }
  CHECK(from_csv("", "runs.csv").value().empty());
}

TEST_CASE("a run is logged from its journal: passes with their seconds, pauses with what hands took") {
  Project p = project_of(R"(<rect id="tag" x="40" y="40" width="60" height="40"/>
      <path id="wave" d="M 50 60 h 40" fill="none" stroke="#000"/>)");
  p = assign_role(std::move(p), {{1, "wave"}}, Role::draw, "pen-black");
  p.machine.holders = 1;
  const Plan plan = derived(p).plan;
  REQUIRE(plan.passes.size() == 2);
  REQUIRE(plan.pauses.size() == 1);
  const Job job = compile(plan, p.machine);
  JournalState journal;
  journal.head = {"a1", "Tag", "/tmp/tag.dotlane", "2026-11-30T12:00:00"};
  journal.parts.push_back({});
  using Kind = JournalLine::Kind;
  journal.lines.push_back({.kind = Kind::part, .number = 1});
  // Twice as slow as planned, told instruction by instruction; the clock runs on over two parts.
  double clock = 0;
  for (std::size_t i = 0; i < job.instructions.size(); ++i) {
    const Instruction& now = job.instructions[i];
    if (const auto* load = std::get_if<LoadHolders>(&now.what); load && load->pause) {
      journal.lines.push_back({.kind = Kind::pause, .number = load->number, .ms = 5000});
      journal.lines.push_back({.kind = Kind::loaded, .ms = 5000 + 72'000});
    }
    if (now.stroke != npos) {
      const auto& ends = job.plan.passes[now.pass].stroke_end_s;
      clock += 2 * (ends[now.stroke] - (now.stroke > 0 ? ends[now.stroke - 1] : 0));
    }
    journal.lines.push_back({.kind = Kind::done, .place = {i + 1, 0}, .seconds = clock});
  }
  journal.seconds = clock;
  journal.outcome = "done";
  const LoggedRun run = logged(p, job, journal);
  CHECK(run.outcome == Outcome::done);
  CHECK(run.real_s == Approx(2 * plan.running_seconds()));
  REQUIRE(run.passes.size() == 2);
  for (std::size_t i = 0; i < 2; ++i) {
    CHECK(run.passes[i].real_s == Approx(2 * plan.passes[i].seconds));
    CHECK(run.passes[i].planned_s == Approx(plan.passes[i].seconds));
    CHECK(run.passes[i].metres == Approx(plan.passes[i].length_mm / 1000));
    CHECK(run.passes[i].stock == "cover-65");
  }
  CHECK(run.pauses == std::vector<LoggedPause>{{1, plan.pauses[0].seconds, 72}});
  REQUIRE(run.sheets.size() == 1);
  CHECK(run.sheets[0].width_mm == p.sheets[0].area.width());
  // Broken off in the middle of the first pass: as far as it came.
  journal.lines.resize(3);
  journal.outcome.clear();
  const LoggedRun broken = logged(p, job, journal);
  CHECK(broken.outcome == Outcome::failed);
  CHECK(broken.passes[1].real_s == 0);
  CHECK(broken.passes[1].metres == 0);
}

TEST_CASE("advice says from how many passes it is, and follows what came of them") {
  const Project p = new_project("advice");
  const auto shelf = advise(p, {}, "cover-80", "blade", Role::cut);
  REQUIRE(shelf);
  CHECK(shelf->from_runs == 0);
  CHECK(shelf->force_gf > 100);
  CHECK(shelf->speed_mm_s == setting_for(*find_stock(p, "cover-80"), Role::cut).speed_mm_s);
  std::vector<LoggedRun> runs;
  const auto add = [&](double force, double depth, CameOut out) {
    LoggedRun run = a_run(1);
    run.passes.resize(1);
    LoggedPass& pass = run.passes.front();
    pass.role = Role::cut, pass.tool = "blade", pass.stock = "cover-80";
    pass.force_gf = force, pass.depth = depth, pass.came_out = out, pass.speed_mm_s = 33, pass.repeats = 1;
    runs.push_back(run);
  };
  for (int n = 0; n < 3; ++n) add(120, 5, CameOut::good), add(90, 5, CameOut::weak);
  add(220, 7, CameOut::strong);
  add(50, 5, CameOut::skipped);
  const auto learned = advise(p, runs, "cover-80", "blade", Role::cut);
  REQUIRE(learned);
  CHECK(learned->from_runs == 7);
  CHECK(learned->force_gf < shelf->force_gf);
  CHECK(learned->force_gf > 95);
  CHECK(learned->confidence > shelf->confidence);
  CHECK(learned->speed_mm_s == 33);
  CHECK_FALSE(advise(p, runs, "moonlight", "blade", Role::cut));
  CHECK_FALSE(advise(p, runs, "cover-80", "wand", Role::cut));
  // What has no depth is asked for none.
  CHECK(advise(p, runs, "cover-80", "scoring-tip", Role::score)->depth == 0);
}
