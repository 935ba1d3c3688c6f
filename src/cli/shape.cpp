#include "cli/shape.hpp"

#include <filesystem>

#include "cli/fill.hpp"
#include "cli/input.hpp"
#include "cli/lettering.hpp"
#include "cli/options.hpp"
#include "cli/say.hpp"
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

Value parsed(const ValueSpec& v, const std::string& text) {
  const auto bad = [&](const char* code, const char* example = "") {
    refuse({code, {{"option", "--" + v.key}, {"example", example}, {"text", text}}});
  };
  switch (v.type) {
    case ValueType::length: {
      const auto mm = length_mm_from(text);
      if (!mm) bad("use-length", "3mm");
      return *mm;
    }
    case ValueType::flag:
      if (text != "yes" && text != "no")
        refuse({"use-one-of", {{"option", "--" + v.key}, {"words", "yes, no"}, {"text", text}}});
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
        if (!n) bad("use-numbers");
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
      if (!n) bad("use-number");
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
    if (const auto ok = accepts(v, value); !ok) refuse(ok.error().said, "--" + v.key);
    out[v.key] = value;
  }
  return out;
}

namespace {

/// The short way of saying how copies are set: any two of --across, of --pitch or --gap, and of --fill WxH.
void take_repeat(Options& o, Values& values) {
  const auto across = whole_value(o, "--across", 200);
  const auto fill = o.value("--fill");
  const bool pitch = values.contains("pitch"), gap = values.contains("gap");
  if (across) values["count"] = figure(*across);
  if (fill) {
    const auto x = fill->find('x');
    std::string wide = fill->substr(0, x);
    const std::string high = x == std::string::npos ? wide : fill->substr(x + 1);
    if (to_number(wide)) wide += high.substr(std::min(high.size(), high.find_last_of("0123456789") + 1));
    const auto w = length_mm_from(wide), h = length_mm_from(high);
    if (!w || !h || *w <= 0 || *h <= 0 || *w > 5000 || *h > 5000)
      refuse({"use-size", {{"option", "--fill"}, {"text", *fill}}});
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
    refuse({"use-shape-ending"}, out);
  }
  if (json) {
    print_json(report);
  } else {
    Figures figures{{"file", out},
                    {"contours", report["contours"].get<double>()},
                    {"nodes", report["nodes"].get<double>()},
                    {"width", report["size_mm"][0].get<double>()},
                    {"height", report["size_mm"][1].get<double>()},
                    {"area", report["area_mm2"].get<double>()}};
    if (report.contains("bridges")) {
      figures["islands"] = report["islands"].get<double>(), figures["bridges"] = figure(report["bridges"].size());
    } else if (const double removed = report["removed_mm2"]; removed > 0) {
      figures["removed"] = removed;
    }
    print(say("wrote-shape", figures));
    for (const auto& t : report["trouble"]) print(say("told-note", {{"note", t.get<std::string>()}}));
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

int shape(Options o, bool json) {
  const std::string word = o.positional("use-no-step");
  if (word == "text" || word == "lettering") return shape_text(std::move(o), json);
  const std::string kind = kind_of(word);
  const auto out = o.value("-o");
  const KindSpec* step_spec = find_kind(step_kinds(), kind);
  const KindSpec* shape_spec = find_kind(shape_kinds(), kind);
  if (!step_spec && !shape_spec) refuse({"use-no-such-step", {{"word", word}}});
  if (shape_spec) {
    const Values values = take_values(o, *shape_spec);
    const std::string file = kind == "picture" ? o.positional("use-no-picture") : std::string();
    o.finish();
    const std::string& made = given(out, "-o OUT.svg");
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
    return write_new(std::move(project), id, made, json, Json::object());
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
      if (!tip || *tip < 0.01 || *tip > 50)
        refuse({"use-length-from", {{"option", "--tip"}, {"least", "0.01mm"}, {"most", "50mm"}, {"text", *text}}});
    }
  }
  const std::string file = o.positional("use-no-drawing");
  o.finish();
  const std::string& made = given(out, "-o OUT.svg");
  if (!others.empty() && !step_spec->find("with")) refuse({"use-no-with", {{"word", word}}});
  Input input = load(file, per_inch);
  Project& project = input.project;
  Box page = input.art ? Box::of(0, 0, input.art->width_mm, input.art->height_mm) : Box{};
  if (project.pieces.empty()) refuse({"use-nothing-to-shape"}, file);
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
  if (kind == "repeat" && !ends_with(made, ".dotlane")) page = move_to_page(project, pieces, page);
  const Json more = kind == "fill" ? fill_report(project, pieces, tip) : Json::object();
  const int done = write_shape(project, pieces, page, made, json, more);
  if (kind == "fill" && !json) print(fill_text(more));
  return done;
}

}  // namespace dotlane::cli
