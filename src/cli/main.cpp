// dot-lane-cli: the whole road for scripts and tests.
#include <algorithm>
#include <cstdio>
#include <filesystem>
#include <memory>
#include <tuple>

#include "cli/dry_run.hpp"
#include "cli/fit.hpp"
#include "cli/guide.hpp"
#include "cli/input.hpp"
#include "cli/lettering.hpp"
#include "cli/library.hpp"
#include "cli/log.hpp"
#include "cli/measure.hpp"
#include "cli/order.hpp"
#include "cli/pack.hpp"
#include "cli/practice.hpp"
#include "cli/shape.hpp"
#include "cli/shelf.hpp"
#include "cli/split.hpp"
#include "cli/stencil.hpp"
#include "cli/stock.hpp"
#include "core/format/files.hpp"
#include "core/job/gcode.hpp"
#include "core/project/edit.hpp"
#include "core/text_scan.hpp"
#include "render/job_export.hpp"
#include "render/job_sheet.hpp"
#include "render/language.hpp"
#include "render/print_sheet.hpp"
#include "words/language.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

constexpr const char* kHelp = R"(dot-lane-cli COMMAND ... [--json]

  inspect FILE [--page N]      what is in a drawing or project: size, lines, lengths, areas, findings
  import FILE -o P.dotlane     a project with the drawing as a piece
         [--role '#rrggbb=ROLE[:TOOL]']...   roles (cut score draw foil engrave print guide) and tools by colour
         [--per-inch N]        artwork units per inch, for a file that states no size (96)
         [--page N]            of a PDF with several (1)
         [--stock ID] [--name NAME] [--split-layers] [--bring-on]
  shape STEP IN.svg -o OUT.svg [--VALUE ...] [--with OTHER.svg]
                               one step of a recipe: offset join cut-away overlap divide trim simplify drop-small...
  shape trace IN.png -o OUT.svg     outlines of a picture
  shape card|label|badge|... -o OUT.svg    a ready shape
  shape text --text WORDS -o OUT.svg [--font NAME|FILE] [--cap-height|--line-height|--width LENGTH] [--tracking MM]
         [--feature swsh]... [--arc R] [--join] [--close-up]      lettering; --arc -R: heads inward
  shape fill IN.svg -o OUT.svg [--pattern hatch|cross|zigzag|contour|spiral|grid|rules|dots|stipple] [--spacing 0.5mm]
         [--angle 20] [--inset 0.4mm] [--join 3mm] [--tip 0.3mm] [--seed N]     strokes, coverage, lifts and seconds
  fonts [NAME|FILE]            the typefaces at hand, or all about one
         help shape            every step and shape with its values; OUT may be a .dotlane project with the recipe
  parts P                      what comes off the sheets: each with its size, its stock and its lines
  sheets P [--pack] [--copies N] [--gap 2mm] [--turns free|15|90|none] [--seconds 5] [--seed N] [--keep-offcuts]
         [-o P2.dotlane]       what lies on which sheet, how much of it is used and what is left; packed anew if asked
  scraps PHOTO --corners "X,Y X,Y X,Y X,Y" [--mat 304.8x304.8mm] [--project P --stock ID -o P2.dotlane]
                               what lies on a photograph of the mat, by its corners in px; kept on the shelf if asked
  quantity P --bolt 1100mm [--copies N] [--layers N] [--shrinks PERCENT] [--web 450mm]
                               how long a piece of each stock to buy off the bolt, and of fusible web
  plates P [--pieces ID,ID...] -o P2.dotlane
                               stencils for painting in layers: a plate for each piece, the lowest painted first
  measure P --piece N [--to N] [--line ID] [--thinnest]
             frame, distances to another piece; length, area and thinnest place of lines
  fall-outs P [--all] [--least MM2] [-o P2.dotlane]
                               the bits that stencils (or all pieces) leave, counted by shape; kept on the shelf if asked
  pack IN.svg --sheet 292x292mm [--gap 2mm] [--turns 15] [--seconds 5] [--seed N] -o OUT.svg
                               the closed outlines of a drawing onto sheets; each is turned about the origin, then moved
  fit PROJECT|IN.svg           how large it may be for its sheets, which part stops it, what would help, sheets it takes then
  split IN.svg --sheet 292x292mm [--over UPPER.svg] [--seam butt|overlap|tab|dovetail] [--width 10mm] [--sliver 5mm]
        -o OUT.svg             what is larger than a sheet in tiles that each fit one, with little seam in sight
  split P [--seam KIND] [--width 10mm] -o P2.dotlane
                               every part of the project that fits none of its sheets, by a seams step
  guide P -o FILE.pdf|DIR [--top-first] [--poster] [--paper WIDTHxHEIGHT]
                               how it is put together: the figure, a page a step from the back layer up, what is on which sheet;
                               or the figure with its numbers at true scale, on as many pages as it takes
  order IN.svg [--start 0,0] [--seconds 1] [--seed N]
                               its open paths and loops in an order with little travel; from which end, by which entry
  plan P                       the passes
  check P                      the findings; exit code 1 when one is an error
  dry-run P [--picture-dir D] [--per-mm N] [--seed N] [--physics on|off] [--fault KIND[@SECONDS|@PERCENT%]]...
          [--cutter P2]        the cutter, its tools and what the stock takes are really as P2 says
          [--journal DIR] [--speed N]  times as fast as the machine; as fast as it can where nothing is said
                               the whole job on the simulated cutter, pauses confirmed as the job wants; printed sheets are laid
                               by chance, found by their marks, and the cut compared with the print. With physics blades trail
                               and tools land a little off; faults: dry wear wrong-tool slip jam link power garbage full
  dry-run P --resume DIR       goes on with the run of that journal
  calibrate                    the calibration sheets there are
  calibrate KIND P [--tool ID] [--others ID,ID...] [--stock ID] [-o SHEET.dotlane]
                               what is read off that sheet, or the sheet itself as a project
  calibrate KIND P ... --read KEY=VALUE... -o P2.dotlane
                               what was read goes into tools, stock and machine
  workshop P --from P2 -o P3   takes over tools, stocks and machine of another project
  exercise list                jobs with a fault in them, easy ones first
  exercise open ID -o P.dotlane | exercise check ID P
                               one of them; whether what came of it would leave what is wanted (exit code 1: not yet)
  shelf list P                 what is owned, what the project's sheets take of it, what is to be bought
  shelf add P --stock ID --size WIDTHxHEIGHT [--count N] [--price X] -o P2.dotlane
  shelf use P -o P2.dotlane    after a run: its sheets are off the shelf, what is left of them is back on it
  cost P                       sheets less what is left of them, wear of tools, work: to the hundredth
  cost P --copies N [--seconds 1]
                               of a batch: packed onto what is on the shelf, what has to be bought, apiece
  log list [--stock ID] [--tool ID] [--role ROLE] [--project NAME] [--came-out WORD] [--real] [--most N]
  log show N [-o P.dotlane]    a run of the logbook; its project as it was then
  log say N [--pass N] [--came-out good|weak|strong|torn|skipped] [--weeding easy|hard] [--note TEXT]
  log suggest --stock ID --tool ID --role ROLE [--project P]
                               what to set now, by what came of passes before; --json: with how sure, from how many
  log pace P [-o P2.dotlane]   how long the machine really takes, by role, taken over
  log wear P | log wear --new TOOL --at WHEN
                               how far tools have gone since they were new, and what will not last for P
  log export -o FILE.jsonl|FILE.csv | log import FILE.jsonl|FILE.csv | log check
                               all of log: [--logbook FILE], else the one in the user's data folder
  projects [WORD...|SIZE...] [--in FOLDER]...
                               all one's projects in which each word begins a word, and each size ("5x7in") is that of something:
                               by name, piece, what is lettered, stock; --in: those of a folder are taken in first
  bring P --from Q --piece ID|NAME [--piece ...] -o P2.dotlane
                               pieces of another project, with the stocks and tools that they want
  thumbnail P -o FILE.png [--size 256]
                               a small picture of the whole project, as file managers show it
  print P -o FILE.pdf|FILE.png [--sheet N] [--per-mm N]
                               what is printed before it is cut, with bleed and marks: one page a sheet, as large as the sheet
  export P -o FILE             .svg .dxf .hpgl .plt .gcode .nc .png .pdf  [--sheet N] [--pass N] [--per-mm N]
         [--profile FILE.json] how a G-code machine lifts its tool: {"lift": "z"|"servo", "up", "down", "arcs", ...}
  sheet P -o FILE.pdf|FILE.html [--paper WIDTHxHEIGHT]
                               the job sheet: time, stock, passes, what hands do and when, cautions, every sheet at true scale
  near-stocks P [--within 5] [-o P2.dotlane]
                               stocks in use whose colours hardly differ, what the lesser ones carry, sheets saved as one
  words                        every text of findings, steps, shapes and presets, for those who translate them
  tools P | stocks P           what the rack and the shelf hold, with their ids

P is a .dotlane project; where it is a drawing (SVG, DXF, PDF, PostScript, HPGL), it is taken as import would take it.
Exit codes: 0 done, 1 findings of severity error or outlines without room (pack), 2 bad use or unreadable input.
)";

int inspect(Options o, bool json) {
  const double per_inch = o.number("--per-inch", 96);
  const int page = static_cast<int>(o.number("--page", 1));
  const std::string file = o.positional("the file");
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
  if (!color || !role) refuse("--role \"" + rule + "\" is not of the form '#rrggbb=cut' or '#rrggbb=draw:pen-black'");
  std::string tool;
  if (colon != std::string::npos) {
    const std::string wanted = rule.substr(colon + 1);
    for (const auto& t : project.tools) {
      if (t.id == wanted || t.name == wanted) tool = t.id;
    }
    if (tool.empty()) {
      std::string rack;
      for (const auto& t : project.tools) rack += (rack.empty() ? "" : ", ") + t.id;
      refuse("there is no tool \"" + wanted + "\" in the rack; it has " + rack);
    }
  }
  const auto lines = lines_of_color(evaluate(project, cache), *color);
  if (lines.empty()) refuse("no line has the colour " + hex(*color));
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
  const std::string file = o.positional("the drawing");
  o.finish();
  if (!out) refuse("-o P.dotlane is missing");
  Input input = load(file, per_inch > 0 ? per_inch : 96, page);
  Project& project = input.project;
  if (per_inch > 0 && input.art && input.art->unit_source == UnitSource::assumed) {
    const int piece = project.pieces.front()->id;
    project = settle_size(std::move(project), piece, per_inch);
  }
  if (name) project.name = *name;
  if (stock) {
    if (!find_stock(project, *stock)) refuse("there is no stock \"" + *stock + "\"; see dot-lane-cli stocks");
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
  need(save_project(project, *out));
  DrawingCache cache;
  const Derived derived = derive(project, cache);
  if (json) {
    print_json(
        Json{{"project", *out}, {"pieces", project.pieces.size()}, {"findings", findings_report(derived.findings)}});
  } else {
    print("Wrote " + *out + "\n" + findings_text(derived.findings));
  }
  return 0;
}

int plan(Options o, bool json) {
  const Input input = load(o.positional("the project"));
  o.finish();
  DrawingCache cache;
  const Derived derived = with_better_order(derive(input.project, cache));
  json ? print_json(plan_report(derived.plan)) : print(plan_text(input.project, derived.plan));
  return 0;
}

int parts(Options o, bool json) {
  const Input input = load(o.positional("the project"));
  o.finish();
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  const std::vector<Part> all = parts_of(input.project, drawing);
  json ? print_json(parts_report(drawing, all)) : print(parts_text(input.project, all));
  return 0;
}

int check_command(Options o, bool json) {
  const Input input = load(o.positional("the project"));
  o.finish();
  DrawingCache cache;
  const Derived derived = derive(input.project, cache);
  json ? print_json(Json{{"findings", findings_report(derived.findings)}}) : print(findings_text(derived.findings));
  return worst(derived.findings) == Severity::error ? 1 : 0;
}

int export_command(Options o, bool json) {
  const auto out = o.value("-o");
  const ExportSelection selection{o.integer("--sheet", 0), o.integer("--pass", 0)};
  const double per_mm = o.number("--per-mm", 8);
  const auto profile_file = o.value("--profile");
  const Input input = load(o.positional("the project"));
  o.finish();
  if (!out) refuse("-o FILE is missing");
  ExportOptions options{selection, per_mm, {}};
  if (profile_file) {
    auto profile = gcode_profile_from(need(read_file(*profile_file)));
    if (!profile) refuse(*profile_file + ": " + sentence(profile.error().said));
    options.gcode = *profile;
  }
  DrawingCache cache;
  const Derived derived = with_better_order(derive(input.project, cache));
  if (selection.pass > static_cast<int>(derived.plan.passes.size())) {
    refuse("there is no pass " + std::to_string(selection.pass) + "; the plan has " +
           std::to_string(derived.plan.passes.size()));
  }
  bool known_sheet = selection.sheet == 0;
  for (const auto& sheet : input.project.sheets) known_sheet = known_sheet || sheet.id == selection.sheet;
  if (!known_sheet) refuse("there is no sheet " + std::to_string(selection.sheet));
  if (per_mm > 60) refuse("--per-mm takes up to 60 px a mm");
  const auto app = application();
  need(export_job(input.project, derived, *out, options));
  if (json) print_json(Json{{"file", *out}});
  return 0;
}

int sheet_command(Options o, bool json) {
  const auto out = o.value("-o");
  const auto paper = o.value("--paper");
  const Input input = load(o.positional("the project"));
  o.finish();
  if (!out) refuse("-o FILE.pdf or FILE.html is missing");
  const auto app = application();
  DrawingCache cache;
  const Derived derived = with_better_order(derive(input.project, cache));
  int pages = 1;
  if (ends_with(*out, ".pdf")) {
    Paper size = paper_for(input.project.unit);
    if (paper) std::tie(size.width_mm, size.height_mm) = size_from("--paper", *paper);
    pages = need(write_job_sheet_pdf(input.project, derived, *out, size));
  } else if (ends_with(*out, ".html")) {
    need(write_job_sheet_html(input.project, derived, *out));
  } else {
    refuse("a job sheet is written to a .pdf or a .html");
  }
  json ? print_json({{"file", *out}, {"pages", pages}})
       : cli::print("Wrote " + *out + ": " + std::to_string(pages) + " pages\n");
  return 0;
}

int print_command(Options o, bool json) {
  const auto out = o.value("-o");
  const int number = o.integer("--sheet", 0);
  const double per_mm = o.number("--per-mm", 12);
  const Input input = load(o.positional("the project"));
  o.finish();
  if (!out) refuse("-o FILE.pdf or FILE.png is missing");
  if (per_mm > 60) refuse("--per-mm takes up to 60 px a mm");
  const auto app = application();
  DrawingCache cache;
  const Print print(std::make_shared<const Derived>(derive(input.project, cache)));
  const auto& sheets = print.of().layout.sheets;
  if (!print.any()) refuse("no sheet is printed first");
  if (number < 0 || number > static_cast<int>(sheets.size()))
    refuse("there is no sheet " + std::to_string(number) + "; there are " + std::to_string(sheets.size()));
  int id = number > 0 ? sheets[static_cast<std::size_t>(number) - 1].sheet.id : 0;
  if (id != 0 && !print.has(id)) refuse("sheet " + std::to_string(number) + " is not printed first");
  int pages = 1;
  if (ends_with(*out, ".pdf")) {
    pages = need(write_print_pdf(print, id, *out));
  } else if (ends_with(*out, ".png")) {
    for (const auto& placed : sheets) {
      if (id == 0 && placed.sheet.printed) id = placed.sheet.id;
    }
    need(write_png(print_image(print, id, per_mm), *out));
  } else {
    refuse("a print is written to a .pdf or a .png");
  }
  json ? print_json({{"pages", pages}}) : cli::print("Wrote " + *out + ": " + std::to_string(pages) + " pages\n");
  return 0;
}

int shelf(Options o, bool json, bool tools) {
  const Input input = load(o.positional("the project"));
  o.finish();
  Json list = Json::array();
  std::string text;
  if (tools) {
    for (const auto& t : input.project.tools) {
      list.push_back({{"id", t.id},
                      {"name", t.name},
                      {"kind", word(t.kind)},
                      {"tip_width_mm", t.tip_width_mm},
                      {"ink", hex(t.ink)}});
      text += t.id + "\t" + t.name + "\n";
    }
  } else {
    for (const auto& s : input.project.stocks) {
      list.push_back(
          {{"id", s.id}, {"name", s.name}, {"thickness_mm", s.thickness_mm}, {"grammage_gsm", s.grammage_gsm}});
      text += s.id + "\t" + s.name + "\n";
    }
  }
  json ? print_json(Json{{tools ? "tools" : "stocks", list}}) : print(text);
  return 0;
}

/// As marks in a source file, so that the tools of Qt's translators gather them with those of the window.
int words_command(Options o, bool json) {
  o.finish();
  const std::vector<std::string> texts = texts_of_core();
  std::string marks;
  for (const auto& text : texts) marks += "QT_TRANSLATE_NOOP(\"core\", " + Json(text).dump() + ")\n";
  json ? print_json(Json{{"words", texts}}) : print(marks);
  return 0;
}

int run(std::vector<std::string> words) {
  Options o(std::move(words));
  const bool json = o.flag("--json");
  if (o.flag("--help") || o.flag("-h")) {
    print(kHelp);
    return 0;
  }
  const std::string command = o.positional("a command");
  if (command == "help") {
    print(o.flag("shape") ? shape_help() : std::string(kHelp));
    return 0;
  }
  if (command == "inspect") return inspect(std::move(o), json);
  if (command == "import") return import(std::move(o), json);
  if (command == "shape") return shape(std::move(o), json);
  if (command == "fonts") return fonts(std::move(o), json);
  if (command == "parts") return parts(std::move(o), json);
  if (command == "sheets") return sheets(std::move(o), json);
  if (command == "scraps") return scraps(std::move(o), json);
  if (command == "quantity") return quantity(std::move(o), json);
  if (command == "plates") return plates(std::move(o), json);
  if (command == "measure") return measure_command(std::move(o), json);
  if (command == "fall-outs") return fall_outs_of(std::move(o), json);
  if (command == "pack") return pack(std::move(o), json);
  if (command == "fit") return fit(std::move(o), json);
  if (command == "near-stocks") return near_stocks_of(std::move(o), json);
  if (command == "guide") return guide(std::move(o), json);
  if (command == "split") return split_drawing(std::move(o), json);
  if (command == "order") return order(std::move(o), json);
  if (command == "plan") return plan(std::move(o), json);
  if (command == "check") return check_command(std::move(o), json);
  if (command == "dry-run") return dry_run(std::move(o), json);
  if (command == "calibrate") return calibrate(std::move(o), json);
  if (command == "exercise") return exercise(std::move(o), json);
  if (command == "workshop") return workshop(std::move(o), json);
  if (command == "projects") return projects(std::move(o), json);
  if (command == "bring") return bring(std::move(o), json);
  if (command == "shelf") return shelf_command(std::move(o), json);
  if (command == "cost") return cost_command(std::move(o), json);
  if (command == "log") return log_command(std::move(o), json);
  if (command == "thumbnail") return thumbnail(std::move(o), json);
  if (command == "print") return print_command(std::move(o), json);
  if (command == "sheet") return sheet_command(std::move(o), json);
  if (command == "export") return export_command(std::move(o), json);
  if (command == "words") return words_command(std::move(o), json);
  if (command == "tools" || command == "stocks") return shelf(std::move(o), json, command == "tools");
  refuse("there is no command \"" + command + "\"; try dot-lane-cli help");
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
  } catch (const std::exception& e) {
    std::fprintf(stderr, "dot-lane-cli: %s\n", e.what());
  }
  return 2;
}
