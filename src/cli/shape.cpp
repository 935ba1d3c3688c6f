#include "cli/shape.hpp"

#include <filesystem>

#include "cli/fill.hpp"
#include "cli/input.hpp"
#include "cli/lettering.hpp"
#include "cli/options.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_writer.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/project/presets.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/trace.hpp"
#include "core/text_scan.hpp"
#include "core/typed_number.hpp"
#include "render/picture_file.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

/// The kind that a word on the command line means.
std::string kind_of(const std::string& word) {
  if (word == "trim") return "trim-under";
  if (word == "card") return "folding-card";
  if (word == "trace") return "picture";
  if (word == "bridges") return "bridge";
  if (word == "circle") return "ellipse";
  return word;
}

std::string unit_of(const ValueSpec& v) {
  switch (v.type) {
    case ValueType::length:
      return "mm";
    case ValueType::area:
      return "mm2";
    case ValueType::degrees:
      return "degrees";
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
      return "roles or line ids";
    case ValueType::spots:
      return "x,y,... as fractions of the bounds";
    case ValueType::letters:
      return "rows of six numbers";
    case ValueType::text:
      return "text";
    case ValueType::color:
      return "#rrggbb";
    default:
      return "number";
  }
}

std::string standard_of(const ValueSpec& v) {
  if (const auto* d = std::get_if<double>(&v.standard); d && *d == 0 && !v.zero.empty()) return v.zero;
  if (const auto* d = std::get_if<double>(&v.standard)) return rounded_text(*d, 3);
  if (const auto* b = std::get_if<bool>(&v.standard)) return *b ? "yes" : "no";
  if (const auto* s = std::get_if<std::string>(&v.standard)) return *s;
  return {};
}

Value parsed(const ValueSpec& v, const std::string& text) {
  auto bad = [&](const std::string& expected) {
    refuse("--" + v.key + " wants " + expected + ", not \"" + text + "\"");
  };
  switch (v.type) {
    case ValueType::length: {
      const auto mm = length_mm_from(text);
      if (!mm) bad("a length such as 3mm or 0.12in");
      return *mm;
    }
    case ValueType::flag:
      if (text != "yes" && text != "no") bad("yes or no");
      return text == "yes";
    case ValueType::choice:
    case ValueType::text:
    case ValueType::color:
    case ValueType::lines:
      return text;
    case ValueType::spots:
    case ValueType::letters:
    case ValueType::pieces: {
      std::vector<double> list;
      for (const auto part : split(text, ',')) {
        const auto n = to_number(part);
        if (!n) bad("numbers with commas between them");
        list.push_back(*n);
      }
      return list;
    }
    default: {
      std::string number = text;
      for (const char* unit : {"mm2", "deg", "%"}) {
        if (number.ends_with(unit)) number.resize(number.size() - std::string(unit).size());
      }
      const auto n = to_number(number);
      if (!n) bad("a number");
      return *n;
    }
  }
}

}  // namespace

Values take_values(Options& o, const KindSpec& spec) {
  Values out;
  for (const auto& v : spec.values) {
    if (v.type == ValueType::pieces) continue;
    const auto text = o.value("--" + v.key);
    if (!text) continue;
    const Value value = parsed(v, *text);
    if (const auto ok = accepts(v, value); !ok) refuse("--" + v.key + ": " + sentence(ok.error().said));
    out[v.key] = value;
  }
  return out;
}

namespace {

/// The short way of saying how copies are set: any two of --across, of --pitch or --gap, and of --fill WxH.
void take_repeat(Options& o, Values& values) {
  const auto across = o.value("--across"), fill = o.value("--fill");
  const bool pitch = values.contains("pitch"), gap = values.contains("gap");
  if (across) {
    const auto n = to_number(*across);
    if (!n || *n < 1 || *n > 200 || *n != std::floor(*n)) refuse("--across wants a whole number from 1 to 200");
    values["count"] = *n;
  }
  if (fill) {
    const auto x = fill->find('x');
    std::string wide = fill->substr(0, x);
    const std::string high = x == std::string::npos ? wide : fill->substr(x + 1);
    if (to_number(wide)) wide += high.substr(std::min(high.size(), high.find_last_of("0123456789") + 1));
    const auto w = length_mm_from(wide), h = length_mm_from(high);
    if (!w || !h || *w <= 0 || *h <= 0 || *w > 5000 || *h > 5000)
      refuse("--fill wants a width and a height such as 300x200mm or 12x12in, not \"" + *fill + "\"");
    values["wide"] = *w, values["high"] = *h;
  }
  const auto way = values.find("way");
  if (way != values.end() && way->second == Value(std::string("around"))) {
    if (!values.contains("ring") && gap) values["ring"] = std::string(values.contains("count") ? "shapes" : "fill");
  } else if (!values.contains("by") && (across || fill)) {
    values["by"] = std::string(fill    ? (pitch                              ? "fill-pitch"
                                          : values.contains("count") && !gap ? "count-room"
                                                                             : "fill-shapes")
                               : pitch ? "count-pitch"
                               : gap   ? "count-shapes"
                                       : "count-gap");
  }
}

/// A drawing that was repeated stands on a page of its own: the room that was filled, or what it takes up.
Box move_to_page(Project& project, const std::vector<int>& pieces, const Box& page) {
  DrawingCache cache;
  const Drawing drawing = evaluate(project, cache);
  Box box;
  for (const int id : pieces) {
    const DrawnPiece* drawn = find_drawn(drawing, id);
    const auto& repeated = drawn->outcomes.back().repeated;
    if (!repeated) return page;
    const Box& room = repeated->room;
    if (room.empty()) {
      box.add(tight_bounds(*drawn));
    } else {
      for (const Vec p : {Vec{room.x0, room.y0}, Vec{room.x1, room.y1}}) box.add(drawn->map(p));
    }
  }
  if (box.empty()) return page;
  project = move_pieces(std::move(project), pieces, {-box.x0, -box.y0});
  return Box::of(0, 0, box.width(), box.height());
}

/// Adds the drawing as a piece below everything else and returns its id.
int add_input(Project& project, const std::string& file, double per_inch) {
  const Input other = load(file, per_inch);
  int first = 0;
  for (const auto& piece : other.project.pieces) {
    Piece copy = *piece;
    copy.id = 1;
    for (const auto& p : project.pieces) copy.id = std::max(copy.id, p->id + 1);
    first = copy.id;
    copy.helper = true;
    project.pieces.push_back(Shared<Piece>(std::move(copy)));
  }
  return first;
}

Json report_of(const Drawing& drawing, const std::vector<int>& pieces) {
  Json out;
  std::size_t nodes = 0, contours = 0, dropped = 0, lines = 0;
  std::size_t stones = 0;
  double area = 0, removed = 0, smallest = 0;
  Box box;
  Json trouble = Json::array(), bridges = Json::array();
  std::size_t islands = 0;
  double thinnest = 0;
  bool bridged = false;
  Json repeated;
  for (const auto& drawn : drawing.pieces) {
    if (std::find(pieces.begin(), pieces.end(), drawn->piece->id) == pieces.end()) continue;
    box.add(tight_bounds(*drawn));
    lines += drawn->piece->lines.size();
    for (const auto& line : drawn->piece->lines) {
      nodes += segment_count(*line.path);
      contours += line.path->contours.size();
      area += enclosed_area_of(transformed(*line.path, drawn->map * line.at));
    }
    const double bit = smallest_bit(drawn->piece->lines);
    if (bit > 0) smallest = smallest > 0 ? std::min(smallest, bit) : bit;
    for (const auto& outcome : drawn->outcomes) {
      removed += outcome.removed_mm2;
      dropped += outcome.dropped;
      stones += outcome.stones;
      if (outcome.bridged) {
        bridged = true;
        islands += outcome.bridged->islands;
        for (const auto& b : outcome.bridged->bridges) {
          const Vec at = drawn->map(b.at);
          bridges.push_back({{"x_mm", round4(at.x)},
                             {"y_mm", round4(at.y)},
                             {"width_mm", round4(b.width_mm)},
                             {"length_mm", round4(b.length_mm)}});
          thinnest = thinnest > 0 ? std::min(thinnest, b.width_mm) : b.width_mm;
        }
      }
      if (const auto& r = outcome.repeated) {
        repeated = {{"count", r->count},
                    {"columns", r->columns},
                    {"rows", r->rows},
                    {"pitch_mm", round4(r->pitch_mm)},
                    {"pitch_down_mm", round4(r->pitch_down_mm)},
                    {"left_over_mm", round4(r->left_over.x)},
                    {"left_over_down_mm", round4(r->left_over.y)}};
        if (r->radius_mm > 0) repeated["radius_mm"] = round4(r->radius_mm);
        if (r->between_mm) repeated["between_mm"] = round4(*r->between_mm);
      }
      if (!outcome.trouble.empty()) trouble.push_back(sentence(outcome.trouble));
    }
  }
  out["lines"] = lines;
  out["contours"] = contours;
  out["nodes"] = nodes;
  out["area_mm2"] = round4(area);
  out["size_mm"] = {round4(box.width()), round4(box.height())};
  out["smallest_bit_mm"] = round4(smallest);
  out["removed_mm2"] = round4(removed);
  out["dropped"] = dropped;
  out["trouble"] = trouble;
  if (bridged) {
    out["islands"] = islands;
    out["bridges"] = bridges;
    out["thinnest_mm"] = round4(thinnest);
  }
  if (stones > 0) out["stones"] = stones;
  if (!repeated.is_null()) out.update(repeated);
  return out;
}

}  // namespace

int write_shape(const Project& project, const std::vector<int>& pieces, const Box& page, const std::string& out,
                bool json, const Json& more) {
  DrawingCache cache;
  Drawing drawing = evaluate(project, cache);
  Json report = report_of(drawing, pieces);
  report.update(more);
  std::erase_if(drawing.pieces, [](const auto& p) { return p->piece->helper; });
  if (ends_with(out, ".dotlane")) {
    need(save_project(project, out));
  } else if (ends_with(out, ".svg")) {
    need(write_file(out, write_drawing_svg(drawing, page, std::filesystem::path(out).stem().string())));
  } else {
    refuse("the ending must be .svg or .dotlane", out);
  }
  if (json) {
    print_json(report);
  } else {
    const double w = report["size_mm"][0], h = report["size_mm"][1], area = report["area_mm2"],
                 removed = report["removed_mm2"];
    print("Wrote " + out + ": " + std::to_string(report["contours"].get<std::size_t>()) + " contours, " +
          std::to_string(report["nodes"].get<std::size_t>()) + " nodes, " + rounded_text(w, 2) + " x " +
          rounded_text(h, 2) + " mm, " + rounded_text(area, 2) + " mm²" +
          (report.contains("bridges") ? ", " + std::to_string(report["islands"].get<std::size_t>()) +
                                            " islands held by " + std::to_string(report["bridges"].size()) + " bridges"
           : removed > 0 ? ", " + rounded_text(removed, 2) + " mm² of stock saved"
                         : std::string()) +
          "\n");
    for (const auto& t : report["trouble"]) print("Note: " + t.get<std::string>() + "\n");
  }
  return report["lines"].get<std::size_t>() == 0 ? 1 : 0;
}

int write_new(Project project, int id, const std::string& out, bool json, const Json& more) {
  DrawingCache cache;
  const Drawing placed = evaluate(project, cache);
  // As a drawing of its own it stands at the origin.
  const Box box = tight_bounds(*find_drawn(placed, id));
  if (!ends_with(out, ".dotlane") && !box.empty()) project = move_pieces(std::move(project), {id}, {-box.x0, -box.y0});
  return write_shape(project, {id}, {}, out, json, more);
}

std::string shape_help() {
  auto list = [](const std::vector<KindSpec>& kinds) {
    std::string out;
    for (const auto& k : kinds) {
      out += "  " + k.kind + "\n      " + k.summary + "\n";
      for (const auto& v : k.values) {
        const std::string of = v.type == ValueType::pieces ? "FILE ..." : unit_of(v);
        const std::string standard = standard_of(v);
        out += "      --" + v.key + " " + of + (standard.empty() ? "" : "  (" + standard + ")") +
               (v.help.empty() ? "" : "  " + v.help) + "\n";
      }
      if (k.kind == "repeat")
        out += "      --across N, --fill WxH  With --pitch or --gap (between shapes): any two give the rest.\n";
      if (k.kind == "fill") out += "      --tip mm  (the tool's)  Width of the tip, for coverage.\n";
    }
    return out;
  };
  return "dot-lane-cli shape STEP IN.svg -o OUT.svg\n\nSteps (\"trim\" means trim-under, layer by layer):\n" +
         list(step_kinds()) +
         "\nShapes (\"card\" means folding-card, \"trace IN.png\" means picture, \"text\" means lettering):\n" +
         list(shape_kinds());
}

int shape(Options o, bool json) {
  const std::string word = o.positional("the step or shape");
  if (word == "text" || word == "lettering") return shape_text(std::move(o), json);
  const std::string kind = kind_of(word);
  const auto out = o.value("-o");
  const KindSpec* step_spec = find_kind(step_kinds(), kind);
  const KindSpec* shape_spec = find_kind(shape_kinds(), kind);
  if (!step_spec && !shape_spec) refuse("there is no step or shape \"" + word + "\"; see dot-lane-cli help shape");
  if (shape_spec) {
    const Values values = take_values(o, *shape_spec);
    const std::string file = kind == "picture" ? o.positional("the picture") : std::string();
    o.finish();
    if (!out) refuse("-o OUT.svg is missing");
    Project project = new_project(word);
    int id = 0;
    if (kind == "picture") {
      const PictureFile read = need(read_picture(file));
      Values all = stated_values(read);
      for (const auto& [key, value] : values) all[key] = value;
      project = add_picture(std::move(project), read.picture, file, all, &id);
    } else {
      project = need(add_shape(std::move(project), kind, values, &id));
    }
    return write_new(std::move(project), id, *out, json, Json::object());
  }
  const double per_inch = o.number("--per-inch", 96);
  Step step;
  step.kind = kind;
  step.values = take_values(o, *step_spec);
  if (kind == "repeat") take_repeat(o, step.values);
  const auto others = o.values("--with");
  std::optional<double> tip;
  if (kind == "fill") {
    if (const auto text = o.value("--tip")) {
      tip = length_mm_from(*text);
      if (!tip || *tip < 0.01 || *tip > 50) refuse("--tip wants a width from 0.01mm to 50mm, not \"" + *text + "\"");
    }
  }
  const std::string file = o.positional("the drawing");
  o.finish();
  if (!out) refuse("-o OUT.svg is missing");
  if (!others.empty() && !step_spec->find("with")) refuse("\"" + word + "\" takes no --with");
  Input input = load(file, per_inch);
  Project& project = input.project;
  Box page = input.art ? Box::of(0, 0, input.art->width_mm, input.art->height_mm) : Box{};
  if (project.pieces.empty()) refuse("there is nothing to shape in it", file);
  if (kind == "trim-under" && project.pieces.size() == 1 && others.empty()) {
    // The layers of the drawing lie on each other; a drawing without layers has its elements for layers.
    const int whole = project.pieces.front()->id;
    if (split_piece(project, whole, [](const Line& line) { return line.layer; }).size() < 2)
      split_piece(project, whole, [](const Line& line) { return line.id; });
  }
  if (kind == "applique" && project.pieces.size() == 1)
    split_piece(project, project.pieces.front()->id, [](const Line& line) { return line.layer; });
  std::vector<int> pieces;
  for (const auto& piece : project.pieces) pieces.push_back(piece->id);
  std::vector<double> with;
  for (const auto& other : others) with.push_back(add_input(project, other, per_inch));
  if (!with.empty()) step.values["with"] = with;
  for (std::size_t i = 0; i < pieces.size(); ++i) {
    if (kind == "trim-under" && i == 0 && others.empty()) continue;  // nothing hides the uppermost
    project = need(add_step(std::move(project), pieces[i], step));
  }
  if (kind == "repeat" && !ends_with(*out, ".dotlane")) page = move_to_page(project, pieces, page);
  const Json more = kind == "fill" ? fill_report(project, pieces, tip) : Json::object();
  const int done = write_shape(project, pieces, page, *out, json, more);
  if (kind == "fill" && !json) print(fill_text(more));
  return done;
}

}  // namespace dotlane::cli
