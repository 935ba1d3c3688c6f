#include "cli/log.hpp"

#include <cstdint>
#include <cstdio>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/files.hpp"
#include "core/logbook/advice.hpp"
#include "core/logbook/learned.hpp"
#include "core/logbook/logbook_text.hpp"
#include "core/places.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "core/text_scan.hpp"
#include "words/language.hpp"

namespace dotlane::cli {
namespace {

Role role_named(const std::string& text) {
  const auto role = role_from(text);
  if (!role || !runs(*role)) refuse({"use-no-role", {{"role", text}}});
  return *role;
}

std::optional<CameOut> came_out_value(Options& o) {
  const auto word = o.one_of("--came-out", {"good", "weak", "strong", "torn", "skipped"});
  return word ? came_out_from(*word) : std::nullopt;
}

std::int64_t run_number(Options& o) {
  const std::string text = o.positional("use-no-run");
  const auto id = to_integer(text);
  if (!id) refuse({"use-run-number", {{"text", text}}});
  return *id;
}

/// The words that reports have for what came of a run or pass.
std::string told(Outcome outcome) { return named("outcome", word(outcome)); }
std::string told(CameOut out) { return word(out).empty() ? std::string() : named("came-out", word(out)); }

RunFilter filter_of(Options& o) {
  RunFilter out;
  out.stock = o.value("--stock").value_or("");
  out.tool = o.value("--tool").value_or("");
  out.project = o.value("--project").value_or("");
  if (const auto role = o.value("--role")) out.role = role_named(*role);
  out.came_out = came_out_value(o);
  out.rehearsed = !o.flag("--real");
  out.most = static_cast<std::size_t>(o.integer("--most", 0));
  return out;
}

int list(const Logbook& book, Options o, bool json) {
  const RunFilter filter = filter_of(o);
  o.finish();
  Json out = Json::array();
  Table table("><<<><");
  for (const auto& g : need(book.glances(filter))) {
    out.push_back({{"id", g.id},
                   {"begun", g.begun},
                   {"project", g.project},
                   {"rehearsed", g.rehearsed},
                   {"test_cut", g.test_cut},
                   {"outcome", word(g.outcome)},
                   {"came_out", word(g.came_out)},
                   {"planned_s", round4(g.planned_s)},
                   {"real_s", round4(g.real_s)},
                   {"note", g.note}});
    table.row({std::to_string(g.id), g.begun, told(g.outcome), told(g.came_out),
               phrase("minutes", {{"minutes", g.real_s / 60}}),
               g.project + (g.test_cut ? " " + phrase("log-test-cut") : "") +
                   (g.rehearsed ? " " + phrase("log-rehearsed") : "")});
  }
  json ? print_json(out) : print(table.empty() ? say("log-no-runs") : table.text());
  return 0;
}

int show(const Logbook& book, Options o, bool json) {
  const std::int64_t id = run_number(o);
  const auto project = o.value("-o");
  o.finish();
  const LoggedRun run = need(book.run(id));
  if (project) need(write_file(*project, need(book.project_of(id))));
  if (json) {
    Json out = Json::parse(json_line(run));
    out["id"] = run.id;
    print_json(out);
    return 0;
  }
  Table table("><<<>>>><");
  table.line(phrase("log-run", {{"project", run.project}, {"begun", run.begun}, {"outcome", told(run.outcome)}}));
  for (const auto& p : run.passes)
    table.row({std::to_string(p.index), in_words(std::string(word(p.role))), p.tool_name, p.stock_name,
               number_text(p.force_gf, 0) + " gf", p.depth > 0 ? phrase("log-mark", {{"mark", p.depth}}) : "",
               phrase("log-seconds", {{"real", p.real_s}, {"planned", p.planned_s}}), number_text(p.metres, 2) + " m",
               told(p.came_out)});
  print(table.text());
  return 0;
}

int suggest(const Logbook& book, Options o, bool json) {
  const auto stock = o.value("--stock"), tool = o.value("--tool"), role = o.value("--role"), of = o.value("--project");
  const bool model_asked = o.flag("--model");
  o.finish();
  given(stock, "--stock ID"), given(tool, "--tool ID"), given(role, "--role ROLE");
  const Project project = of ? load(*of).project : new_project("Presets");
  const auto runs = need(book.runs());
  const Role which = role_named(*role);
  const Advice a = need(advise(project, runs, *stock, *tool, which));
  Json out{{"stock", *stock},
           {"tool", *tool},
           {"role", *role},
           {"force_gf", a.force_gf},
           {"depth", a.depth},
           {"speed_mm_s", round4(a.speed_mm_s)},
           {"repeats", a.repeats},
           {"confidence", round4(a.confidence)},
           {"spread", round4(a.spread)},
           {"from_runs", a.from_runs},
           {"next_test", {{"force_gf", a.next_test.force_gf}, {"depth", a.next_test.depth}}}};
  if (model_asked) {
    const TriedStocks known = tried_stocks(project, runs, *tool, which);
    const CutModel model(known.stocks, known.tried);
    Json stocks = Json::array(), tried = Json::array();
    for (const auto& s : known.stocks)
      stocks.push_back({{"id", s.id},
                        {"kind", s.kind},
                        {"thickness_mm", s.thickness_mm},
                        {"grammage_gsm", s.grammage_gsm},
                        {"preset_force_gf", s.preset_force_gf},
                        {"preset_depth", s.preset_depth}});
    for (const auto& t : known.tried)
      tried.push_back({{"stock", t.stock},
                       {"force_gf", t.force_gf},
                       {"depth", t.depth},
                       {"repeats", t.repeats},
                       {"came_out", word(t.out)}});
    out["model"] = {{"stocks", stocks}, {"tried", tried}, {"mode", model.mode()}, {"cost", model.cost()}};
  }
  if (json) {
    print_json(out);
  } else {
    Figures figures{{"force", a.force_gf},
                    {"speed", a.speed_mm_s},
                    {"percent", 100 * a.confidence},
                    {"test-force", a.next_test.force_gf}};
    if (a.depth > 0) figures["mark"] = a.depth;
    if (a.repeats > 1) figures["times"] = figure(a.repeats);
    if (a.next_test.depth > 0) figures["test-mark"] = a.next_test.depth;
    if (a.from_runs > 0) figures["passes"] = figure(a.from_runs);
    print(say(a.from_runs > 0 ? "log-advice" : "log-advice/shelf", figures));
  }
  return 0;
}

int say_of(Logbook& book, Options o) {
  const auto pass = whole_value(o, "--pass");
  const auto note = o.value("--note"), weeding = o.one_of("--weeding", {"easy", "hard"});
  const auto came = came_out_value(o);
  const std::int64_t id = run_number(o);
  o.finish();
  const LoggedRun run = need(book.run(id));
  if (came) {
    bool any = false;
    for (const auto& p : run.passes) {
      if (pass && p.index != *pass) continue;
      need(book.say(id, p.index, *came));
      any = true;
    }
    if (!any) refuse({"use-run-without-pass"});
  }
  if (note) need(book.note(id, *note));
  if (weeding) need(book.say(id, *weeding_from(*weeding)));
  return 0;
}

/// The project with what was learned of the machine's pace.
int pace(const Logbook& book, Options o, bool json) {
  const auto out = o.value("-o");
  Project project = load(o.positional("use-no-project")).project;
  o.finish();
  const auto learned = learned_pace(need(book.runs({.rehearsed = false})), project.machine.name);
  Json list = Json::array();
  Table table("<<");
  for (const auto& [role, now] : learned) {
    list.push_back({{"role", word(role)}, {"factor", round4(now.factor)}, {"spread", round4(now.spread)}});
    table.row({in_words(std::string(word(role))),
               phrase("log-pace", {{"percent", 100 * now.factor}, {"spread", 100 * now.spread}})});
    project.machine.pace[role] = now;
  }
  if (out) need(save_project(project, *out));
  json ? print_json(list) : print(table.empty() ? say("log-few-runs") : table.text());
  return 0;
}

/// How far tools have gone, and which of them will not last for the project.
int wear(Logbook& book, Options o, bool json) {
  const auto fresh = o.value("--new"), when = o.value("--at");
  if (fresh) {
    o.finish();
    need(book.changed(*fresh, given(when, "--at WHEN", "--at 2026-11-30T12:00:00")));
    return 0;
  }
  const Project project = load(o.positional("use-no-project")).project;
  o.finish();
  DrawingCache cache;
  const Plan plan = derive(project, cache).plan;
  std::map<std::string, double> metres;
  Json list = Json::array();
  Table table("<>");
  for (const auto& tool : project.tools) {
    const double gone = metres[tool.id] = need(book.metres_of(tool.id));
    if (gone <= 0 && tool.lasts_m <= 0) continue;
    list.push_back({{"tool", tool.id}, {"metres", round4(gone)}, {"lasts_m", tool.lasts_m}});
    Figures figures{{"metres", gone}};
    if (tool.lasts_m > 0) figures["lasts"] = tool.lasts_m;
    table.row({tool.name, phrase("log-worn", figures)});
  }
  Json ends = Json::array();
  for (const auto& out : running_out(project, plan, metres)) {
    ends.push_back({{"tool", out.tool},
                    {"pass", plan.passes[out.pass].index},
                    {"left_m", round4(out.left_m)},
                    {"needed_m", round4(out.needed_m)}});
    table.line(phrase("log-ends",
                      {{"tool", find_tool(project, out.tool)->name}, {"pass", figure(plan.passes[out.pass].index)}}));
  }
  json ? print_json({{"tools", list}, {"runs_out", ends}})
       : print(table.empty() ? say("log-nothing-marked") : table.text());
  return 0;
}

}  // namespace

int log_command(Options o, bool json) {
  const auto file = o.value("--logbook");
  const std::string what =
      o.subcommand("log", {"list", "show", "say", "suggest", "pace", "wear", "export", "import", "check"});
  const std::string path = file.value_or(logbook_path());
  Logbook book = need(Logbook::open(path));
  if (what == "list") return list(book, std::move(o), json);
  if (what == "show") return show(book, std::move(o), json);
  if (what == "suggest") return suggest(book, std::move(o), json);
  if (what == "say") return say_of(book, std::move(o));
  if (what == "pace") return pace(book, std::move(o), json);
  if (what == "wear") return wear(book, std::move(o), json);
  if (what == "export") {
    const auto out = o.value("-o");
    o.finish();
    const std::string& to = given(out, "-o FILE.jsonl|FILE.csv");
    need(write_file(to, ends_with(to, ".csv") ? to_csv(need(book.runs())) : need(export_json(book))));
    return 0;
  }
  if (what == "import") {
    const std::string in = o.positional("use-no-file");
    const bool tell = o.flag("--tell");  // each run once it is kept, for who has to know
    o.finish();
    const std::string text = need(read_file(in));
    std::size_t kept = 0;
    const auto each = [&](std::size_t n) {
      kept = n;
      if (!tell) return;
      std::printf("kept %zu\n", n);
      std::fflush(stdout);
    };
    if (ends_with(in, ".csv")) {
      for (const auto& run : need(from_csv(text, in))) {
        need(book.keep(run, {}));
        each(kept + 1);
      }
    } else {
      need(import_json(book, text, in, each));
    }
    json ? print_json({{"runs", kept}}) : tell ? void() : print(say("log-kept", {{"runs", figure(kept)}}));
    return 0;
  }
  o.finish();
  const std::string found = need(book.check());
  const auto runs = need(book.count());
  json ? print_json({{"sound", found.empty()}, {"found", found}, {"runs", runs}})
       : print(found.empty() ? say("log-sound", {{"runs", figure(runs)}}) : found + "\n");
  return found.empty() ? 0 : 1;
}

}  // namespace dotlane::cli
