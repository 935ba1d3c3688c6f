#include "cli/stencil.hpp"

#include <algorithm>
#include <limits>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/files.hpp"
#include "core/layout/fall_outs.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/paint_layers.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {

int plates(Options o, bool json) {
  const auto out = o.value("-o"), wanted = o.value("--pieces");
  Input input = load(o.positional("use-no-project"));
  o.finish();
  const std::string& file = given(out, "-o P2.dotlane");
  std::vector<int> pieces;
  for (const auto& piece : input.project.pieces) {
    if (!wanted && !piece->helper) pieces.push_back(piece->id);
  }
  if (wanted) {
    for (const auto word : split(*wanted, ',')) {
      const auto id = to_integer(trimmed(word));
      const bool fits = id && *id > 0 && *id <= std::numeric_limits<int>::max();
      const Piece* piece = fits ? find_piece(input.project, static_cast<int>(*id)) : nullptr;
      if (!piece) refuse({"use-pieces", {{"text", *wanted}}});
      pieces.push_back(piece->id);
    }
  }
  std::vector<int> made;
  DrawingCache cache;
  const Drawing before = evaluate(input.project, cache);
  const Project project = add_paint_layers(std::move(input.project), before, pieces, &made);
  if (made.empty()) refuse({"use-nothing-to-stencil"});
  need(save_project(project, file));
  const Drawing drawing = evaluate(project, cache);
  Json list = Json::array();
  std::string text;
  for (const int id : made) {
    const DrawnPiece* piece = find_drawn(drawing, id);
    const auto paint = paint_of(*piece);
    std::size_t islands = 0, bridges = 0;
    for (const auto& outcome : piece->outcomes) {
      if (!outcome.bridged) continue;
      islands += outcome.bridged->islands, bridges += outcome.bridged->bridges.size();
    }
    Json entry;
    entry["piece"] = id;
    entry["name"] = piece->piece->name;
    entry["stock"] = piece->piece->stock;
    entry["paint"] = paint ? hex(*paint) : "";
    entry["islands"] = islands;
    entry["bridges"] = bridges;
    entry["width_mm"] = round4(piece->bounds.width());
    entry["height_mm"] = round4(piece->bounds.height());
    list.push_back(entry);
    Figures figures{{"piece", piece->piece->name}, {"bridges", figure(bridges)}};
    if (paint) figures["paint"] = hex(*paint);
    text += say(paint ? "plate" : "plate/unpainted", figures);
  }
  json ? print_json(Json{{"plates", list}}) : print(text);
  return 0;
}

int fall_outs_of(Options o, bool json) {
  const auto out = o.value("-o");
  const auto least = o.number("--least", 0.0);
  const bool all = o.flag("--all");
  Input input = load(o.positional("use-no-project"));
  o.finish();
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  Json list = Json::array();
  std::string text;
  Project kept = input.project;
  for (const auto& piece : drawing.pieces) {
    const bool stencil = std::any_of(piece->outcomes.begin(), piece->outcomes.end(),
                                     [](const StepOutcome& done) { return done.bridged || done.stones > 0; });
    if (!stencil && !all) continue;
    std::size_t bits = 0;
    const auto shapes = fall_outs(*piece, least);
    for (const auto& bit : shapes) {
      Json entry;
      entry["piece"] = piece->piece->name;
      entry["count"] = bit.count;
      entry["area_mm2"] = round4(bit.area_mm2);
      entry["across_mm"] = round4(bit.across_mm);
      list.push_back(entry);
      bits += bit.count;
    }
    text += say("fall-outs-found",
                {{"piece", piece->piece->name}, {"bits", figure(bits)}, {"shapes", figure(shapes.size())}});
    if (out) kept = keep_fall_outs(std::move(kept), drawing, piece->piece->id, least);
  }
  if (out) need(save_project(kept, *out));
  json ? print_json(Json{{"bits", list}}) : print(text.empty() ? say("no-stencils") : text);
  return 0;
}

}  // namespace dotlane::cli
