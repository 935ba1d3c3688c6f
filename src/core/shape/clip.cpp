#include "core/shape/clip.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>
#include <set>

#include "core/project/dependence.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/sizing.hpp"

namespace dotlane {
namespace {

constexpr double kSameSize = 1e-4;  // share by which copies may differ and are still as large

std::set<std::string> tools_of(const Piece& piece) {
  std::set<std::string> out;
  for (const auto& line : piece.lines) out.insert(line.tool);
  for (const auto& [id, dress] : piece.dress) out.insert(dress.tool);
  return out;
}

double turn_of_placement(const Affine& m) { return std::atan2(-m.b, m.a) * 180 / std::numbers::pi; }

}  // namespace

Project clip_of(const Project& project, const std::vector<int>& pieces) {
  Project out;
  out.name = project.name, out.unit = project.unit, out.machine = project.machine;
  std::set<std::string> stocks, tools;
  for (const auto& piece : project.pieces) {
    if (std::find(pieces.begin(), pieces.end(), piece->id) == pieces.end()) continue;
    out.pieces.push_back(piece);
    stocks.insert(piece->stock);
    tools.merge(tools_of(*piece));
  }
  for (const auto& stock : project.stocks) {
    if (stocks.contains(stock.id)) out.stocks.push_back(stock);
  }
  for (const auto& tool : project.tools) {
    if (tools.contains(tool.id)) out.tools.push_back(tool);
  }
  return out;
}

Project clip_for_others(const Project& project, const Drawing& drawing, const std::vector<int>& pieces) {
  Project frozen = project;
  for (const int id : pieces) {
    const auto others = depends_on(project, id);
    const bool alone = std::all_of(others.begin(), others.end(), [&](int other) {
      return other == id || std::find(pieces.begin(), pieces.end(), other) != pieces.end();
    });
    if (!alone) frozen = freeze(std::move(frozen), drawing, id);
  }
  return clip_of(frozen, pieces);
}

Project pasted(Project project, const Project& clip, Vec by, std::vector<int>* ids) {
  std::map<int, int> now;  // new ids by old ones
  int next = next_piece_id(project);
  for (const auto& piece : clip.pieces) now[piece->id] = next++;
  for (const auto& stock : clip.stocks) {
    if (!find_stock(project, stock.id)) project.stocks.push_back(stock);
  }
  for (const auto& tool : clip.tools) {
    if (!find_tool(project, tool.id)) project.tools.push_back(tool);
  }
  std::vector<Shared<Piece>> fresh;
  for (const auto& old : clip.pieces) {
    Piece piece = *old;
    piece.id = now.at(old->id);
    piece.placement = Affine::move(by.x, by.y) * piece.placement;
    for (auto& step : piece.steps) {
      const auto with = step.values.find("with");
      auto* list = with == step.values.end() ? nullptr : std::get_if<std::vector<double>>(&with->second);
      if (!list) continue;
      for (double& id : *list) {
        if (const auto known = now.find(static_cast<int>(id)); known != now.end()) id = known->second;
      }
    }
    for (auto& note : piece.source.notes) {
      for (auto& ref : note.lines) ref.piece = piece.id;
    }
    if (ids) ids->push_back(piece.id);
    fresh.emplace_back(std::move(piece));
  }
  project.pieces.insert(project.pieces.begin(), fresh.begin(), fresh.end());
  match_sheets(project);
  return project;
}

std::optional<Project> copied_again(const Project& project, const std::vector<Copied>& copies, DrawingCache& cache,
                                    std::vector<Copied>* next) {
  const Drawing drawing = evaluate(project, cache);
  Project out = project;
  bool any = false;
  for (const auto& [from, to] : copies) {
    const Piece *first = find_piece(project, from), *second = find_piece(project, to);
    const DrawnPiece *was = find_drawn(drawing, from), *is = find_drawn(drawing, to);
    if (!first || !second || !was || !is) continue;
    int id = 0;
    out = duplicate_piece(std::move(out), to, &id, {0, 0});
    if (next) next->push_back({to, id});
    any = true;
    const double turned = turn_of_placement(second->placement) - turn_of_placement(first->placement);
    // Sizes are those in the piece's own frame, whichever way it is turned.
    const double wide = was->flat->bounds.width(), now = is->flat->bounds.width();
    const double scale_was = was->map.max_stretch(), scale_is = is->map.max_stretch();
    const double grown = wide > 0 && scale_was > 0 ? now * scale_is / (wide * scale_was) : 1;
    const Vec a = tight_bounds(*was).centre(), b = tight_bounds(*is).centre();
    if (std::abs(grown - 1) > kSameSize) {
      const Box box = tight_bounds(*is);
      const bool across = box.width() >= box.height();
      Sizing sizing;
      (across ? sizing.width_mm : sizing.height_mm) = (across ? box.width() : box.height()) * grown;
      sizing.anchor = {0.5, 0.5};
      if (auto sized = size_pieces(out, {id}, sizing, cache)) out = std::move(*sized);
    }
    const Vec step = Affine::rotate(-turned)((b - a) * grown);
    out = place_pieces(
        std::move(out), {id},
        Affine::move(step.x, step.y) * Affine::move(b.x, b.y) * Affine::rotate(-turned) * Affine::move(-b.x, -b.y));
  }
  if (!any) return std::nullopt;
  return out;
}

}  // namespace dotlane
