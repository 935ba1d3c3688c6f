#include "core/shape/clip.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/project/dependence.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/sizing.hpp"

namespace dotlane {
namespace {

constexpr double kSameSize = 1e-4;  // share by which copies may differ and are still as large
constexpr double kUprightDeg = 0.01;

std::set<std::string> tools_of(const Piece& piece) {
  std::set<std::string> out;
  for (const auto& line : piece.lines) out.insert(line.tool);
  for (const auto& [id, dress] : piece.dress) out.insert(dress.tool);
  return out;
}

}  // namespace

Project with_lines_alone(Project project, const Drawing& drawing, const std::vector<LineRef>& selected) {
  std::map<int, std::set<std::string>> lines;
  for (const auto& ref : selected) lines[ref.piece].insert(ref.line);
  for (const auto& [id, names] : lines) {
    if (names.contains("")) continue;  // all of it
    project = freeze(std::move(project), drawing, id);
    project = edit_piece(std::move(project), id, [&names = names](Piece& piece) {
      std::erase_if(piece.lines, [&](const Line& line) { return !names.contains(line.id); });
    });
  }
  return project;
}

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
  const auto comes = [&](int id) { return std::find(pieces.begin(), pieces.end(), id) != pieces.end(); };
  bool left_above = false;  // a piece that does not come along, above this one
  for (const auto& piece : project.pieces) {
    if (!comes(piece->id)) {
      left_above = true;
      continue;
    }
    const bool needs = std::any_of(piece->steps.begin(), piece->steps.end(), [&](const Step& step) {
      const auto inputs = inputs_of(step);
      return std::any_of(inputs.begin(), inputs.end(), [&](int id) { return !comes(id); }) ||
             (step.on && left_above && works_under_all(step));
    });
    if (needs) frozen = freeze(std::move(frozen), drawing, piece->id);
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
    // Held to what came along it stays; what it was held to elsewhere is not here.
    std::erase_if(piece.holds, [&](Hold& hold) {
      const auto renamed = [&](int& id) {
        const auto known = now.find(id);
        if (known != now.end()) id = known->second;
        return known != now.end();
      };
      return !std::all_of(hold.to.begin(), hold.to.end(), [&](Anchor& a) { return renamed(a.piece); }) ||
             !std::all_of(hold.row.begin(), hold.row.end(), renamed);
    });
    if (piece.fit) {
      const auto known = now.find(piece.fit->piece);
      known == now.end() ? piece.fit.reset() : void(piece.fit->piece = known->second);
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

Project brought_over(Project project, const Project& from, const Drawing& drawing, const std::vector<int>& pieces,
                     std::vector<int>* ids) {
  std::vector<int> fresh;
  project = pasted(std::move(project), clip_for_others(from, drawing, pieces), {0, 0}, &fresh);
  DrawingCache cache;
  project = bring_onto_mat(project, evaluate(project, cache), fresh);
  if (ids) *ids = std::move(fresh);
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
    const double turned = turn_of(second->placement) - turn_of(first->placement);
    const Vec was_large = own_size(*was), is_large = own_size(*is);
    const auto ratio = [](double now, double before) { return before > 0 && now > 0 ? now / before : 1.0; };
    Vec grown{ratio(is_large.x, was_large.x), ratio(is_large.y, was_large.y)};
    const Box box = tight_bounds(*is);
    const Vec a = tight_bounds(*was).centre(), b = box.centre();
    // Pieces that stand upright may grow more one way than the other; of others the frame would slant them.
    if (std::abs(std::remainder(turn_of(second->placement), 180)) > kUprightDeg) grown.y = grown.x;
    if (std::abs(grown.x - 1) > kSameSize || std::abs(grown.y - 1) > kSameSize) {
      const Sizing sizing{box.width() * grown.x, box.height() * grown.y, {0.5, 0.5}};
      if (auto sized = size_pieces(out, {id}, sizing, cache)) out = std::move(*sized);
    }
    const Vec step = Affine::rotate(-turned)((b - a) * std::sqrt(grown.x * grown.y));
    out = place_pieces(
        std::move(out), {id},
        Affine::move(step.x, step.y) * Affine::move(b.x, b.y) * Affine::rotate(-turned) * Affine::move(-b.x, -b.y));
  }
  if (!any) return std::nullopt;
  return out;
}

}  // namespace dotlane
