#include "cli/help.hpp"

#include <array>

#include "cli/say.hpp"
#include "core/project/kinds.hpp"
#include "core/text/unicode.hpp"
#include "core/text_scan.hpp"
#include "words/language.hpp"
#include "words/usage.hpp"

namespace dotlane::cli {
namespace {

/// A command, or an option of the one before it, and what it does.
struct Use {
  const char* use;
  const char* about;
  [[nodiscard]] bool option() const { return use[0] == '-'; }
};

constexpr std::array kUses{
    Use{"inspect FILE [--page N]", "what is in a drawing or project: size, lines, lengths, areas, findings"},
    Use{"import FILE -o P.dotlane [--stock ID] [--name NAME] [--split-layers] [--bring-on]",
        "a project with the drawing as a piece"},
    Use{"--role '#rrggbb=ROLE[:TOOL]'",
        "role (cut, score, draw, foil, engrave, print, guide) and tool of a colour's "
        "lines; as often as there are colours"},
    Use{"--per-inch N", "artwork units per inch, for a file that states no size (96)"},
    Use{"--page N", "of a PDF with several (1)"},
    Use{"shape STEP IN.svg -o OUT.svg [--VALUE ...] [--with OTHER.svg]",
        "one step of a recipe: offset, join, cut-away, overlap, divide, trim, simplify, drop-small and more; OUT may "
        "be "
        "a .dotlane project with the recipe"},
    Use{"shape SHAPE -o OUT.svg [--VALUE ...]", "a ready shape: card, label, badge and more"},
    Use{"shape trace IN.png -o OUT.svg", "outlines of a picture"},
    Use{"shape text --text WORDS -o OUT.svg [--font NAME|FILE] [--cap-height|--line-height|--width LENGTH] "
        "[--tracking LENGTH] [--feature swsh]... [--arc LENGTH] [--join] [--close-up]",
        "lettering; an arc below zero has its heads inward"},
    Use{"shape fill IN.svg -o OUT.svg [--pattern "
        "hatch|cross|zigzag|contour|spiral|grid|rules|dots|stipple] [--spacing 0.5mm] [--angle 20] [--inset 0.4mm] "
        "[--join 3mm] [--tip 0.3mm] [--seed N]",
        "a fill, with its strokes, coverage, lifts and seconds"},
    Use{"help shape", "every step and shape with its values"},
    Use{"fonts [NAME|FILE]", "the typefaces at hand, or all about one"},
    Use{"parts P", "what comes off the sheets: each with its size, its stock and its lines"},
    Use{"sheets P [--pack] [--copies N] [--gap 2mm] [--turns free|15|90|none] [--seconds 5] [--seed N] "
        "[--keep-offcuts] [-o P2.dotlane]",
        "what lies on which sheet, how much of it is used and what is left; packed anew if asked"},
    Use{"scraps PHOTO --corners \"X,Y X,Y X,Y X,Y\" [--mat 304.8x304.8mm] [--project P --stock ID -o P2.dotlane]",
        "what lies on a photograph of the mat, by its corners in px; kept on the shelf if asked"},
    Use{"quantity P --bolt LENGTH [--copies N] [--layers N] [--shrinks NUMBER] [--web LENGTH]",
        "how long a piece of each stock to buy off a bolt so wide, and of fusible web; what shrinks does so by so many "
        "percent"},
    Use{"plates P [--pieces ID,ID...] -o P2.dotlane",
        "stencils for painting in layers: a plate for each piece, the lowest painted first"},
    Use{"measure P --piece N [--to N] [--line ID] [--thinnest]",
        "frame, distances to another piece; length, area and thinnest place of lines"},
    Use{"fall-outs P [--all] [--least NUMBER] [-o P2.dotlane]",
        "the bits that stencils (or all pieces) leave, of so many mm² at least, counted by shape; kept on the shelf if "
        "asked"},
    Use{"pack IN.svg --sheet WIDTHxHEIGHT [--gap 2mm] [--turns 15] [--seconds 5] [--seed N] -o OUT.svg",
        "the closed outlines of a drawing onto sheets; each is turned about the origin, then moved"},
    Use{"fit PROJECT|IN.svg",
        "how large it may be for its sheets, which part stops it, what would help, sheets it takes then"},
    Use{"split IN.svg --sheet WIDTHxHEIGHT [--over UPPER.svg] [--seam butt|overlap|tab|dovetail] [--width 10mm] "
        "[--sliver 5mm] -o OUT.svg",
        "what is larger than a sheet in tiles that each fit one, with little seam in sight"},
    Use{"split P [--seam butt|overlap|tab|dovetail] [--width 10mm] -o P2.dotlane",
        "every part of the project that fits none of its sheets, by a seams step"},
    Use{"guide P -o FILE.pdf|FOLDER [--top-first] [--poster] [--paper WIDTHxHEIGHT]",
        "how it is put together: the figure, a page a step from the back layer up, what is on which sheet; or, as a "
        "poster, the figure with its numbers at true scale, on as many pages as it takes"},
    Use{"order IN.svg [--start 0,0] [--seconds 1] [--seed N]",
        "its open paths and loops in an order with little travel; from which end, by which entry"},
    Use{"plan P", "the passes"},
    Use{"check P", "the findings; exit code 1 when one is an error"},
    Use{"dry-run P [--picture-dir FOLDER] [--per-mm N] [--seed N] [--physics on|off] [--fault "
        "WORD[@SECONDS|@PERCENT%]]...",
        "the whole job on the simulated cutter, pauses confirmed as the job wants; printed sheets are laid by chance, "
        "found by their marks, and the cut compared with the print. With physics blades trail and tools land a little "
        "off; faults: dry wear wrong-tool slip jam link power garbage full"},
    Use{"--cutter P2", "the cutter, its tools and what the stock takes are really as P2 says"},
    Use{"--journal FOLDER", "where the journal of the run is kept"},
    Use{"--speed N", "times as fast as the machine; as fast as it can where nothing is said"},
    Use{"dry-run P --resume FOLDER", "goes on with the run of that journal"},
    Use{"calibrate", "the calibration sheets there are"},
    Use{"calibrate WORD P [--tool ID] [--others ID,ID...] [--stock ID] [-o FILE.dotlane]",
        "what is read off that sheet, or the sheet itself as a project"},
    Use{"calibrate WORD P ... --read KEY=VALUE... -o P2.dotlane", "what was read goes into tools, stock and machine"},
    Use{"workshop P --from P2 -o P3.dotlane", "takes over tools, stocks and machine of another project"},
    Use{"exercise list", "jobs with a fault in them, easy ones first"},
    Use{"exercise open ID -o P.dotlane", "one of them"},
    Use{"exercise check ID P", "whether what came of it would leave what is wanted (exit code 1: not yet)"},
    Use{"shelf list P", "what is owned, what the project's sheets take of it, what is to be bought"},
    Use{"shelf add P --stock ID --size WIDTHxHEIGHT [--count N] [--price N] -o P2.dotlane",
        "sheets or scraps of a stock that are owned"},
    Use{"shelf use P -o P2.dotlane", "after a run: its sheets are off the shelf, what is left of them is back on it"},
    Use{"cost P", "sheets less what is left of them, wear of tools, work: to the hundredth"},
    Use{"cost P --copies N [--seconds 1]",
        "of a batch: packed onto what is on the shelf, what has to be bought, apiece"},
    Use{"log list [--stock ID] [--tool ID] [--role ROLE] [--project NAME] [--came-out WORD] [--real] [--most N]",
        "the runs of the logbook, those that are asked for"},
    Use{"log show N [-o P.dotlane]", "a run of the logbook; its project as it was then"},
    Use{"log say N [--pass N] [--came-out good|weak|strong|torn|skipped] [--weeding easy|hard] [--note TEXT]",
        "how a run, or a pass of it, came out"},
    Use{"log suggest --stock ID --tool ID --role ROLE [--project P]",
        "what to set now, by what came of passes before; --json: with how sure, from how many"},
    Use{"log pace P [-o P2.dotlane]", "how long the machine really takes, by role; taken over if asked"},
    Use{"log wear P", "how far tools have gone since they were new, and what will not last for the project"},
    Use{"log wear --new TOOL --at WHEN", "since when a tool is new"},
    Use{"log export -o FILE.jsonl|FILE.csv", "the whole logbook"},
    Use{"log import FILE.jsonl|FILE.csv", "what another logbook gave out"},
    Use{"log check", "whether the logbook is sound (exit code 1: it is not)"},
    Use{"--logbook FILE", "for all of log: that one, else the one in the user's data folder"},
    Use{"projects [WORD...|SIZE...] [--in FOLDER]...",
        "all one's projects in which each word begins a word, and each size (\"5x7in\") is that of something: by name, "
        "piece, what is lettered, stock; --in: those of a folder are taken in first"},
    Use{"bring P --from P2 --piece ID|NAME [--piece ...] -o P3.dotlane",
        "pieces of another project, with the stocks and tools that they want"},
    Use{"thumbnail P -o FILE.png [--size 256]", "a small picture of the whole project, as file managers show it"},
    Use{"print P -o FILE.pdf|FILE.png [--sheet N] [--per-mm N]",
        "what is printed before it is cut, with bleed and marks: one page a sheet, as large as the sheet"},
    Use{"export P -o FILE [--sheet N] [--pass N] [--per-mm N] [--profile FILE.json]",
        "the job as .svg, .dxf, .hpgl, .plt, .gcode, .nc, .png or .pdf; the profile tells how a G-code machine lifts "
        "its tool"},
    Use{"sheet P -o FILE.pdf|FILE.html [--paper WIDTHxHEIGHT]",
        "the job sheet: time, stock, passes, what hands do and when, cautions, every sheet at true scale"},
    Use{"near-stocks P [--within 5] [-o P2.dotlane]",
        "stocks in use whose colours hardly differ, what the lesser ones carry, sheets saved as one"},
    Use{"words", "every text of findings, steps, shapes and presets, for those who translate them"},
    Use{"tools P", "the ids and names of the tools in the rack"},
    Use{"stocks P", "the ids and names of the stocks"},
};

/// Words in lines of at most 100 characters, each after so many spaces, the first one after fewer.
std::string wrapped(std::string_view text, std::size_t first, std::size_t rest) {
  constexpr std::size_t kWide = 100;
  std::string out;
  std::size_t at = 0;
  for (const auto word : split(text, ' ')) {
    const std::size_t length = characters_of(word).size();
    const bool begins = out.empty(), breaks = !begins && at + 1 + length > kWide;
    if (begins || breaks) {
      out.erase(out.find_last_not_of(' ') + 1);
      out += (begins ? "" : "\n") + std::string(begins ? first : rest, ' ');
      at = begins ? first : rest;
    } else {
      out += ' ', ++at;
    }
    out += word, at += length;
  }
  return out + "\n";
}

std::string kind_of_value(const ValueSpec& v) {
  switch (v.type) {
    case ValueType::length:
      return "mm";
    case ValueType::area:
      return "mm2";
    case ValueType::degrees:
      return phrase("value-degrees");
    case ValueType::percent:
      return "%";
    case ValueType::flag:
      return "yes|no";
    case ValueType::choice: {
      std::string words;
      for (const auto& w : v.words) words += (words.empty() ? "" : "|") + w.word;
      return words;
    }
    case ValueType::lines:
      return phrase("value-lines");
    case ValueType::spots:
      return phrase("value-spots");
    case ValueType::letters:
      return phrase("value-letters");
    case ValueType::text:
      return phrase("value-text");
    case ValueType::color:
      return "#rrggbb";
    case ValueType::pieces:
      return usage("FILE ...");
    default:
      return phrase("value-number");
  }
}

/// As it would be typed.
std::string standard_of(const ValueSpec& v) {
  if (const auto* d = std::get_if<double>(&v.standard); d && *d == 0 && !v.zero.empty()) return in_words(v.zero);
  if (const auto* d = std::get_if<double>(&v.standard)) return rounded_text(*d, 3);
  if (const auto* b = std::get_if<bool>(&v.standard)) return *b ? "yes" : "no";
  if (const auto* s = std::get_if<std::string>(&v.standard)) return *s;
  return {};
}

std::string of_kinds(const std::vector<KindSpec>& kinds) {
  std::string out;
  const auto value = [&](const std::string& use, const std::string& about) {
    out += wrapped("--" + use + (about.empty() ? "" : "  " + about), 6, 10);
  };
  for (const auto& k : kinds) {
    out += "  " + k.kind + "\n" + wrapped(in_words(k.summary), 6, 6);
    for (const auto& v : k.values) {
      const std::string standard = standard_of(v);
      value(v.key + " " + kind_of_value(v) + (standard.empty() ? "" : "  (" + standard + ")"), in_words(v.help));
    }
    if (k.kind == "repeat") value(usage("across N, --fill WIDTHxHEIGHT"), phrase("help-repeat"));
    if (k.kind == "fill") value("tip mm", phrase("help-tip"));
  }
  return out;
}

}  // namespace

std::string help_text(const std::string& command) {
  std::string out;
  bool shown = false;
  for (const auto& one : kUses) {
    if (!one.option()) shown = command.empty() || split(one.use, ' ').front() == command;
    if (!shown) continue;
    if (one.option()) {
      out += wrapped(usage(one.use) + "  " + in_words(one.about), 6, 10);
    } else {
      out += wrapped(usage(one.use), 2, 8) + wrapped(in_words(one.about), 6, 6);
    }
  }
  if (out.empty()) return out;
  return usage("dot-lane-cli COMMAND ... [--json]") + "\n\n" + out + "\n" + wrapped(phrase("help-project"), 0, 0) +
         wrapped(phrase("help-exit"), 0, 0);
}

Json help_report() {
  Json out = Json::array();
  for (const auto& one : kUses) out.push_back({{"use", usage(one.use)}, {"about", in_words(one.about)}});
  return out;
}

std::string shape_help() {
  return usage("dot-lane-cli shape STEP IN.svg -o OUT.svg") + "\n\n" + wrapped(phrase("help-steps"), 0, 0) +
         of_kinds(step_kinds()) + "\n" + wrapped(phrase("help-shapes"), 0, 0) + of_kinds(shape_kinds());
}

std::vector<std::string> texts_of_help() {
  std::vector<std::string> out;
  for (const auto& one : kUses) out.emplace_back(one.about);
  return out;
}

}  // namespace dotlane::cli
