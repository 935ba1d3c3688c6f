// dot-lane-cli: the whole road for scripts and tests.
#include <algorithm>
#include <cstdio>
#include <filesystem>
#include <memory>
#include <tuple>

#include "cli/dry_run.hpp"
#include "cli/fit.hpp"
#include "cli/guide.hpp"
#include "cli/help.hpp"
#include "cli/input.hpp"
#include "cli/lettering.hpp"
#include "cli/library.hpp"
#include "cli/log.hpp"
#include "cli/measure.hpp"
#include "cli/order.hpp"
#include "cli/pack.hpp"
#include "cli/practice.hpp"
#include "cli/say.hpp"
#include "cli/shape.hpp"
#include "cli/shelf.hpp"
#include "cli/split.hpp"
#include "cli/stencil.hpp"
#include "cli/stock.hpp"
#include "core/format/files.hpp"
#include "core/job/gcode.hpp"
#include "core/project/edit.hpp"
#include "core/text_scan.hpp"
#include "locale/language.hpp"
#include "render/job_export.hpp"
#include "render/job_sheet.hpp"
#include "render/print_sheet.hpp"
#include "words/language.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

int inspect(Options o, bool json) {
  const double per_inch = o.number("--per-inch", 96);
  const int page = static_cast<int>(o.number("--page", 1));
  const std::string file = o.positional("use-no-file");
  o.finish();
  const Input input = load(file, per_inch, page);
  DrawingCache cache;
  const Json report = inspect_report(input.project, derive(input.project, cache), input.art ? &*input.art : nullptr);
  json ? print_json(report) : print(inspect_text(report));
  return 0;
}

void assign(Project& project, const std::string& rule) {
  DrawingCache cache;
  const auto equals = rule.find('=');
  const auto colon = rule.find(':', equals == std::string::npos ? 0 : equals);
  const auto color = parse_color(rule.substr(0, equals));
  const auto role =
      equals == std::string::npos
          ? std::nullopt
          : role_from(rule.substr(equals + 1, colon == std::string::npos ? std::string::npos : colon - equals - 1));
  if (!color || !role)
    refuse({"use-form", {{"option", "--role"}, {"form", "'#rrggbb=draw:pen-black'"}, {"text", rule}}});
  std::string tool;
  if (colon != std::string::npos) {
    const std::string wanted = rule.substr(colon + 1);
    for (const auto& t : project.tools) {
      if (t.id == wanted || t.name == wanted) tool = t.id;
    }
    if (tool.empty()) {
      std::vector<std::string> rack;
      for (const auto& t : project.tools) rack.push_back(t.id);
      refuse({"use-no-tool", {{"tool", wanted}, {"rack", listed(rack)}}});
    }
  }
  const auto lines = lines_of_color(evaluate(project, cache), *color);
  if (lines.empty()) refuse({"use-no-colour", {{"colour", hex(*color)}}});
  project = assign_role(std::move(project), lines, *role, tool);
}

int import(Options o, bool json) {
  const auto out = o.value("-o");
  const auto roles = o.values("--role");
  const double per_inch = o.number("--per-inch", 0);
  const int page = static_cast<int>(o.number("--page", 1));
  const auto stock = o.value("--stock");
  const auto name = o.value("--name");
  const bool split = o.flag("--split-layers"), bring = o.flag("--bring-on");
  const std::string file = o.positional("use-no-drawing");
  o.finish();
  const std::string& file_out = given(out, "-o P.dotlane");
  Input input = load(file, per_inch > 0 ? per_inch : 96, page);
  Project& project = input.project;
  if (per_inch > 0 && input.art && input.art->unit_source == UnitSource::assumed) {
    const int piece = project.pieces.front()->id;
    project = settle_size(std::move(project), piece, per_inch);
  }
  if (name) project.name = *name;
  if (stock) {
    if (!find_stock(project, *stock)) refuse({"use-no-stock", {{"stock", *stock}}});
    for (const auto& piece : std::vector(project.pieces)) project = set_stock(std::move(project), piece->id, *stock);
  }
  for (const auto& rule : roles) assign(project, rule);
  if (split) {
    for (const auto& piece : std::vector(project.pieces)) project = split_by_layer(std::move(project), piece->id);
  }
  if (bring) {
    DrawingCache cache;
    std::vector<int> ids;
    for (const auto& piece : project.pieces) ids.push_back(piece->id);
    project = bring_onto_mat(project, evaluate(project, cache), ids);
  }
  need(save_project(project, file_out));
  DrawingCache cache;
  const Derived derived = derive(project, cache);
  if (json) {
    print_json(Json{
        {"project", file_out}, {"pieces", project.pieces.size()}, {"findings", findings_report(derived.findings)}});
  } else {
    print(say("wrote", {{"file", file_out}}) + findings_text(derived.findings));
  }
  return 0;
}

int plan(Options o, bool json) {
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  DrawingCache cache;
  const Derived derived = with_better_order(derive(input.project, cache));
  json ? print_json(plan_report(derived.plan)) : print(plan_text(input.project, derived.plan));
  return 0;
}

int parts(Options o, bool json) {
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  const std::vector<Part> all = parts_of(input.project, drawing);
  json ? print_json(parts_report(drawing, all)) : print(parts_text(input.project, all));
  return 0;
}

int check_command(Options o, bool json) {
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  DrawingCache cache;
  const Derived derived = derive(input.project, cache);
  json ? print_json(Json{{"findings", findings_report(derived.findings)}}) : print(findings_text(derived.findings));
  return worst(derived.findings) == Severity::error ? 1 : 0;
}

int export_command(Options o, bool json) {
  const auto out = o.value("-o");
  const ExportSelection selection{o.integer("--sheet", 0), o.integer("--pass", 0)};
  const double per_mm = number_within(o, "--per-mm", 0.01, 60).value_or(8);
  const auto profile_file = o.value("--profile");
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  const std::string& file = given(out, "-o FILE");
  ExportOptions options{selection, per_mm, {}};
  if (profile_file) {
    auto profile = gcode_profile_from(need(read_file(*profile_file)));
    if (!profile) refuse(profile.error().said, *profile_file);
    options.gcode = *profile;
  }
  DrawingCache cache;
  const Derived derived = with_better_order(derive(input.project, cache));
  if (selection.pass > static_cast<int>(derived.plan.passes.size())) {
    refuse({"use-no-pass", {{"pass", figure(selection.pass)}, {"passes", figure(derived.plan.passes.size())}}});
  }
  bool known_sheet = selection.sheet == 0;
  for (const auto& sheet : input.project.sheets) known_sheet = known_sheet || sheet.id == selection.sheet;
  if (!known_sheet) refuse({"use-no-sheet", {{"sheet", figure(selection.sheet)}}});
  const auto app = application();
  need(export_job(input.project, derived, file, options));
  if (json) print_json(Json{{"file", file}});
  return 0;
}

int sheet_command(Options o, bool json) {
  const auto out = o.value("-o");
  const auto paper = o.value("--paper");
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  const std::string& file = given(out, "-o FILE.pdf|FILE.html");
  const auto app = application();
  DrawingCache cache;
  const Derived derived = with_better_order(derive(input.project, cache));
  int pages = 1;
  if (ends_with(file, ".pdf")) {
    Paper size = paper_for(input.project.unit);
    if (paper) std::tie(size.width_mm, size.height_mm) = size_from("--paper", *paper);
    pages = need(write_job_sheet_pdf(input.project, derived, file, size));
  } else if (ends_with(file, ".html")) {
    need(write_job_sheet_html(input.project, derived, file));
  } else {
    refuse({"use-sheet-ending"});
  }
  json ? print_json({{"file", file}, {"pages", pages}})
       : cli::print(say("wrote-pages", {{"file", file}, {"pages", figure(pages)}}));
  return 0;
}

int print_command(Options o, bool json) {
  const auto out = o.value("-o");
  const int number = o.integer("--sheet", 0);
  const double per_mm = number_within(o, "--per-mm", 0.01, 60).value_or(12);
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  const std::string& file = given(out, "-o FILE.pdf|FILE.png");
  const auto app = application();
  DrawingCache cache;
  const Print print(std::make_shared<const Derived>(derive(input.project, cache)));
  const auto& sheets = print.of().layout.sheets;
  if (!print.any()) refuse({"use-no-print"});
  if (number < 0 || number > static_cast<int>(sheets.size()))
    refuse({"use-no-sheet", {{"sheet", figure(number)}, {"sheets", figure(sheets.size())}}});
  int id = number > 0 ? sheets[static_cast<std::size_t>(number) - 1].sheet.id : 0;
  if (id != 0 && !print.has(id)) refuse({"use-not-printed", {{"sheet", figure(number)}}});
  int pages = 1;
  if (ends_with(file, ".pdf")) {
    pages = need(write_print_pdf(print, id, file));
  } else if (ends_with(file, ".png")) {
    for (const auto& placed : sheets) {
      if (id == 0 && placed.sheet.printed) id = placed.sheet.id;
    }
    need(write_png(print_image(print, id, per_mm), file));
  } else {
    refuse({"use-print-ending"});
  }
  json ? print_json({{"pages", pages}}) : cli::print(say("wrote-pages", {{"file", file}, {"pages", figure(pages)}}));
  return 0;
}

int tools_command(Options o, bool json) {
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  Json list = Json::array();
  Table table("<<");
  for (const auto& t : input.project.tools) {
    list.push_back({{"id", t.id},
                    {"name", t.name},
                    {"kind", word(t.kind)},
                    {"tip_width_mm", t.tip_width_mm},
                    {"ink", hex(t.ink)}});
    table.row({t.id, t.name});
  }
  json ? print_json(Json{{"tools", list}}) : print(table.text());
  return 0;
}

int stocks_command(Options o, bool json) {
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  Json list = Json::array();
  Table table("<<");
  for (const auto& s : input.project.stocks) {
    list.push_back(
        {{"id", s.id}, {"name", s.name}, {"thickness_mm", s.thickness_mm}, {"grammage_gsm", s.grammage_gsm}});
    table.row({s.id, s.name});
  }
  json ? print_json(Json{{"stocks", list}}) : print(table.text());
  return 0;
}

/// As marks in a source file, so that the tools of Qt's translators gather them with those of the window.
int words_command(Options o, bool json) {
  o.finish();
  std::vector<std::string> texts = texts_of_core();
  for (auto& text : texts_of_help()) {
    if (std::find(texts.begin(), texts.end(), text) == texts.end()) texts.push_back(std::move(text));
  }
  std::string marks;
  for (const auto& text : texts) marks += "QT_TRANSLATE_NOOP(\"core\", " + Json(text).dump() + ")\n";
  json ? print_json(Json{{"words", texts}}) : print(marks);
  return 0;
}

int help(Options o, bool json) {
  const std::string about = o.optional_positional().value_or("");
  o.finish();
  const std::string text = about == "shape" ? shape_help() : help_text(about);
  if (text.empty()) refuse({"use-no-such-command", {{"word", about}}});
  json ? print_json(help_report()) : print(text);
  return 0;
}

struct Command {
  const char* name;
  int (*carry_out)(Options o, bool json);
};
constexpr Command kCommands[] = {
    {"inspect", inspect},
    {"import", import},
    {"shape", shape},
    {"fonts", fonts},
    {"parts", parts},
    {"sheets", sheets},
    {"scraps", scraps},
    {"quantity", quantity},
    {"plates", plates},
    {"measure", measure_command},
    {"fall-outs", fall_outs_of},
    {"pack", pack},
    {"fit", fit},
    {"near-stocks", near_stocks_of},
    {"guide", guide},
    {"split", split_drawing},
    {"order", order},
    {"plan", plan},
    {"check", check_command},
    {"dry-run", dry_run},
    {"calibrate", calibrate},
    {"exercise", exercise},
    {"workshop", workshop},
    {"projects", projects},
    {"bring", bring},
    {"shelf", shelf_command},
    {"cost", cost_command},
    {"log", log_command},
    {"thumbnail", thumbnail},
    {"print", print_command},
    {"sheet", sheet_command},
    {"export", export_command},
    {"words", words_command},
    {"tools", tools_command},
    {"stocks", stocks_command},
    {"help", help},
};

int run(std::vector<std::string> words) {
  Options o(std::move(words));
  const bool json = o.flag("--json");
  if (o.flag("--help") || o.flag("-h")) {
    const std::string text = help_text(o.optional_positional().value_or(""));
    print(text.empty() ? help_text() : text);
    return 0;
  }
  const std::string word = o.positional("use-no-command");
  const auto* command =
      std::find_if(std::begin(kCommands), std::end(kCommands), [&](const Command& c) { return c.name == word; });
  if (command == std::end(kCommands)) refuse({"use-no-such-command", {{"word", word}}});
  return command->carry_out(std::move(o), json);
}

}  // namespace
}  // namespace dotlane::cli

int main(int argc, char** argv) {
  dotlane::use_language();
  try {
    const int code = dotlane::cli::run({argv + 1, argv + argc});
    dotlane::cli::finish_output();
    return code;
  } catch (const dotlane::cli::Stop& stop) {
    std::string line = line_of(stop.error);
    for (char& c : line) {
      if (c == '\n' || c == '\r') c = ' ';
    }
    std::fprintf(stderr, "dot-lane-cli: %s\n", line.c_str());
  } catch (const std::bad_alloc&) {
    std::fprintf(stderr, "dot-lane-cli: %s\n", dotlane::sentence(dotlane::Said{"no-memory"}).c_str());
  } catch (const std::exception& e) {
    std::fprintf(stderr, "dot-lane-cli: %s\n", e.what());
  }
  return 2;
}
