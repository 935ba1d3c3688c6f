#include "cli/log.hpp"

#include <cstdio>

#include "cli/input.hpp"
#include "core/format/files.hpp"
#include "core/logbook/advice.hpp"
#include "core/logbook/learned.hpp"
#include "core/logbook/logbook_text.hpp"
#include "core/places.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {
namespace {

Role role_named(const std::string& text) {
  const auto role = role_from(text);
  if (!role || !runs(*role)) refuse("\"" + text + "\" is no role that a tool carries out");
  return *role;
}

std::string padded_to(std::string text, std::size_t width) {
  if (text.size() < width) text.append(width - text.size(), ' ');
  return text + " ";
}

RunFilter filter_of(Options& o) {
  RunFilter out;
  out.stock = o.value("--stock").value_or("");
  out.tool = o.value("--tool").value_or("");
  out.project = o.value("--project").value_or("");
  if (const auto role = o.value("--role")) out.role = role_named(*role);
  if (const auto said = o.value("--came-out")) {
    out.came_out = came_out_from(*said);
    if (!out.came_out) refuse("--came-out is good, weak, strong, torn or skipped, not \"" + *said + "\"");
  }
  out.rehearsed = !o.flag("--real");
  const int most = o.integer("--most", 0);
  if (most < 0) refuse("--most is 0 or more");
  out.most = static_cast<std::size_t>(most);
  return out;
}

int list(const Logbook& book, Options o, bool json) {
  const RunFilter filter = filter_of(o);
  o.finish();
  Json out = Json::array();
  std::string text;
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
    text += padded_to(std::to_string(g.id), 5) + padded_to(g.begun, 19) + padded_to(word(g.outcome), 9) +
            padded_to(std::string(word(g.came_out)), 7) + padded_to(rounded_text(g.real_s / 60, 1) + " min", 9) +
            g.project + (g.test_cut ? " (test cut)" : "") + (g.rehearsed ? " (rehearsed)" : "") + "\n";
  }
  json ? print_json(out) : print(text.empty() ? "no runs\n" : text);
  return 0;
}

int show(const Logbook& book, Options o, bool json) {
  const auto id = to_integer(o.positional("the number of the run"));
  const auto project = o.value("-o");
  o.finish();
  if (!id) refuse("the number of a run is expected; log list has them");
  const LoggedRun run = need(book.run(*id));
  if (project) need(write_file(*project, need(book.project_of(*id))));
  if (json) {
    Json out = Json::parse(json_line(run));
    out["id"] = run.id;
    print_json(out);
    return 0;
  }
  std::string text = run.project + ", begun " + run.begun + ", " + word(run.outcome) + "\n";
  for (const auto& p : run.passes)
    text += padded_to(std::to_string(p.index), 3) + padded_to(std::string(word(p.role)), 8) +
            padded_to(p.tool_name, 20) + padded_to(p.stock_name, 20) +
            padded_to(rounded_text(p.force_gf, 0) + " gf", 7) +
            padded_to(p.depth > 0 ? "mark " + rounded_text(p.depth, 0) : "", 8) +
            padded_to(rounded_text(p.real_s, 0) + " of " + rounded_text(p.planned_s, 0) + " s", 14) +
            padded_to(rounded_text(p.metres, 2) + " m", 9) + std::string(word(p.came_out)) + "\n";
  print(text);
  return 0;
}

int suggest(const Logbook& book, Options o, bool json) {
  const auto stock = o.value("--stock"), tool = o.value("--tool"), role = o.value("--role"), of = o.value("--project");
  const bool model_asked = o.flag("--model");
  o.finish();
  if (!stock || !tool || !role) refuse("suggest wants --stock ID, --tool ID and --role ROLE");
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
    print(rounded_text(a.force_gf, 0) + " gf" + (a.depth > 0 ? ", mark " + rounded_text(a.depth, 0) : "") + ", " +
          rounded_text(a.speed_mm_s, 0) + " mm/s" + (a.repeats > 1 ? ", " + std::to_string(a.repeats) + " times" : "") +
          ": comes out well with " + rounded_text(100 * a.confidence, 0) + " %, " +
          (a.from_runs == 0 ? "from the shelf" : "from " + std::to_string(a.from_runs) + " of your passes") +
          ". The test cut that tells most: " + rounded_text(a.next_test.force_gf, 0) + " gf" +
          (a.next_test.depth > 0 ? ", mark " + rounded_text(a.next_test.depth, 0) : "") + "\n");
  }
  return 0;
}

int say(Logbook& book, Options o) {
  const auto pass = o.value("--pass"), note = o.value("--note"), weeding = o.value("--weeding");
  const auto out = o.value("--came-out");
  const auto id = to_integer(o.positional("the number of the run"));
  o.finish();
  if (!id) refuse("the number of a run is expected; log list has them");
  const LoggedRun run = need(book.run(*id));
  if (out) {
    const auto came = came_out_from(*out);
    if (!came) refuse("--came-out is good, weak, strong, torn or skipped, not \"" + *out + "\"");
    const auto which = pass ? to_integer(*pass) : std::nullopt;
    if (pass && !which) refuse("--pass wants the number of a pass");
    bool any = false;
    for (const auto& p : run.passes) {
      if (which && p.index != *which) continue;
      need(book.say(*id, p.index, *came));
      any = true;
    }
    if (!any) refuse("that run has no such pass");
  }
  if (note) need(book.note(*id, *note));
  if (weeding) {
    const auto known = weeding_from(*weeding);
    if (!known) refuse("--weeding is easy or hard, not \"" + *weeding + "\"");
    need(book.say(*id, *known));
  }
  return 0;
}

/// The project with what was learned of the machine's pace.
int pace(const Logbook& book, Options o, bool json) {
  const auto out = o.value("-o");
  Project project = load(o.positional("the project")).project;
  o.finish();
  const auto learned = learned_pace(need(book.runs({.rehearsed = false})), project.machine.name);
  Json list = Json::array();
  std::string text;
  for (const auto& [role, now] : learned) {
    list.push_back({{"role", word(role)}, {"factor", round4(now.factor)}, {"spread", round4(now.spread)}});
    text += padded_to(std::string(word(role)), 8) + rounded_text(100 * now.factor, 1) +
            " % of the planned time, give or take " + rounded_text(100 * now.spread, 1) + " %\n";
    project.machine.pace[role] = now;
  }
  if (out) need(save_project(project, *out));
  json ? print_json(list) : print(text.empty() ? "too few runs on a machine of that name\n" : text);
  return 0;
}

/// How far tools have gone, and which of them will not last for the project.
int wear(Logbook& book, Options o, bool json) {
  const auto fresh = o.value("--new"), when = o.value("--at");
  if (fresh) {
    o.finish();
    if (!when) refuse("--at WHEN is missing: since when the tool is new, as 2026-11-30T12:00:00");
    need(book.changed(*fresh, *when));
    return 0;
  }
  const Project project = load(o.positional("the project")).project;
  o.finish();
  DrawingCache cache;
  const Plan plan = derive(project, cache).plan;
  std::map<std::string, double> metres;
  Json list = Json::array();
  std::string text;
  for (const auto& tool : project.tools) {
    const double gone = metres[tool.id] = need(book.metres_of(tool.id));
    if (gone <= 0 && tool.lasts_m <= 0) continue;
    list.push_back({{"tool", tool.id}, {"metres", round4(gone)}, {"lasts_m", tool.lasts_m}});
    text += padded_to(tool.name, 24) + rounded_text(gone, 2) + " m" +
            (tool.lasts_m > 0 ? " of " + rounded_text(tool.lasts_m, 1) + " m" : "") + "\n";
  }
  Json ends = Json::array();
  for (const auto& out : running_out(project, plan, metres)) {
    ends.push_back({{"tool", out.tool},
                    {"pass", plan.passes[out.pass].index},
                    {"left_m", round4(out.left_m)},
                    {"needed_m", round4(out.needed_m)}});
    text += find_tool(project, out.tool)->name + " will not last: it ends in pass " +
            std::to_string(plan.passes[out.pass].index) + "\n";
  }
  json ? print_json({{"tools", list}, {"runs_out", ends}})
       : print(text.empty() ? "nothing has been marked yet\n" : text);
  return 0;
}

}  // namespace

int log_command(Options o, bool json) {
  const auto file = o.value("--logbook");
  const std::string what = o.positional("list, show, export, import, suggest, pace, wear, say or check");
  const std::string path = file.value_or(logbook_path());
  Logbook book = need(Logbook::open(path));
  if (what == "list") return list(book, std::move(o), json);
  if (what == "show") return show(book, std::move(o), json);
  if (what == "suggest") return suggest(book, std::move(o), json);
  if (what == "say") return say(book, std::move(o));
  if (what == "pace") return pace(book, std::move(o), json);
  if (what == "wear") return wear(book, std::move(o), json);
  if (what == "export") {
    const auto out = o.value("-o");
    o.finish();
    if (!out) refuse("-o FILE.jsonl or FILE.csv is missing");
    need(write_file(*out, ends_with(*out, ".csv") ? to_csv(need(book.runs())) : need(export_json(book))));
    return 0;
  }
  if (what == "import") {
    const std::string in = o.positional("the file");
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
    json ? print_json({{"runs", kept}}) : tell ? void() : print(std::to_string(kept) + " runs\n");
    return 0;
  }
  if (what == "check") {
    o.finish();
    const std::string found = need(book.check());
    const auto runs = need(book.count());
    json ? print_json({{"sound", found.empty()}, {"found", found}, {"runs", runs}})
         : print(found.empty() ? std::to_string(runs) + " runs, sound\n" : found + "\n");
    return found.empty() ? 0 : 1;
  }
  refuse("log takes list, show, export, import, suggest, pace, wear, say or check, not \"" + what + "\"");
}

}  // namespace dotlane::cli
