#include "core/layout/split/large_parts.hpp"

#include <algorithm>

#include "core/layout/how_big.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/room.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/line_set.hpp"
#include "core/shape/step_handles.hpp"
#include "core/shape/steps.hpp"

namespace dotlane {
namespace {

bool ends_in_seams(const Piece& piece) { return !piece.steps.empty() && piece.steps.back().kind == "seams"; }

std::vector<double> list_of(const Piece& piece, const char* key) {
  return Reading(*find_kind(step_kinds(), "seams"), piece.steps.back().values).list(key);
}

/// The step's seams that are pinned, as shares.
std::vector<double> pinned_of(const Piece& piece) {
  constexpr double kSame = 1e-9;
  std::vector<double> out;
  if (!ends_in_seams(piece)) return out;
  const auto seams = list_of(piece, "seams"), pins = list_of(piece, "pinned");
  for (std::size_t i = 0; i + 3 < seams.size(); i += 4) {
    const double x = (seams[i] + seams[i + 2]) / 2, y = (seams[i + 1] + seams[i + 3]) / 2;
    for (std::size_t k = 0; k + 1 < pins.size(); k += 2) {
      if (std::abs(pins[k] - x) > kSame || std::abs(pins[k + 1] - y) > kSame) continue;
      out.insert(out.end(), seams.begin() + static_cast<std::ptrdiff_t>(i),
                 seams.begin() + static_cast<std::ptrdiff_t>(i) + 4);
      break;
    }
  }
  return out;
}

/// How much a seam adds to a tile.
double allowance_of(const Piece& piece) {
  if (!ends_in_seams(piece)) return 0;
  const Reading take(*find_kind(step_kinds(), "seams"), piece.steps.back().values);
  return take.is("joint", "butt") ? 0 : take.number("width");
}

/// The part of the piece with this outline. Its body is not asked: what is cut of other pieces may lie in it.
const Part* part_around(const std::vector<Part>& parts, int piece, const Region& material) {
  constexpr double kSame = 0.1;  // mm
  const Box own = bounds_of(material);
  for (const auto& part : parts) {
    if (part.first.piece != piece || !part.has_body()) continue;
    const Box box = part.bounds();
    if (std::max({std::abs(box.x0 - own.x0), std::abs(box.y0 - own.y0), std::abs(box.x1 - own.x1),
                  std::abs(box.y1 - own.y1)}) < kSame)
      return &part;
  }
  return nullptr;
}

/// Whether what is seen of it, and runs on a little under what lies on it, fits in one piece each.
bool fits_trimmed(const tiling::Task& task) {
  if (task.over.empty()) return false;
  const auto seen = parts_of(subtract(task.part, offset(task.over, -kTuckMm)));
  return std::all_of(seen.begin(), seen.end(), [&](const Region& r) { return fit_in(task, r).scale >= 1; });
}

std::vector<double> shares_of(const std::vector<Seam>& seams, const Affine& share) {
  std::vector<double> out;
  for (const auto& seam : seams) {
    const Vec a = share(seam.a), b = share(seam.b);
    out.insert(out.end(), {a.x, a.y, b.x, b.y});
  }
  return out;
}

std::vector<Seam> seams_of(const std::vector<double>& shares, const Affine& share) {
  std::vector<Seam> out;
  const Affine back = share.inverse();
  for (std::size_t i = 0; i + 3 < shares.size(); i += 4)
    out.push_back({back({shares[i], shares[i + 1]}), back({shares[i + 2], shares[i + 3]})});
  return out;
}

}  // namespace

DividedFigure divide_large(const Project& project, const std::vector<int>& pieces, DrawingCache& cache) {
  DividedFigure out{project, {}};
  const auto meant = [&](int id) {
    return pieces.empty() || std::find(pieces.begin(), pieces.end(), id) != pieces.end();
  };
  // As they are without seams.
  Project whole = project;
  for (auto& piece : whole.pieces) {
    if (meant(piece->id) && ends_in_seams(*piece))
      piece.edit([](Piece& p) { p.steps.back().values["seams"] = std::vector<double>{}; });
  }
  const Drawing drawing = evaluate(whole, cache);
  const std::vector<Part> parts = parts_of(whole, drawing);
  std::vector<Seam> others;
  for (const auto& stretch : seams_in(whole, drawing)) others.push_back({stretch.a, stretch.b});
  std::vector<Region> above;
  for (const auto& drawn : drawing.pieces) {
    const int id = drawn->piece->id;
    const Piece* piece = find_piece(project, id);
    std::vector<double> seams, pins;
    const Region over = unite(above);
    if (!drawn->piece->helper) above.push_back(transformed(material_of(drawn->piece->lines), drawn->map));
    if (!piece || !meant(id)) continue;
    const Box frame = bounds_of(drawn->piece->lines);
    if (frame.width() <= 0 || frame.height() <= 0) continue;
    const Affine share = Affine::scale(1 / frame.width(), 1 / frame.height()) * Affine::move(-frame.x0, -frame.y0) *
                         drawn->map.inverse();
    const auto pinned = pinned_of(*piece);
    seams = pinned;
    bool large = false;
    for (const auto& material : parts_of(transformed(material_of(drawn->piece->lines), drawn->map))) {
      const Part* known = part_around(parts, id, material);
      if (!known) continue;
      const Part& part = *known;
      tiling::Task task;
      task.part = material, task.over = over, task.others = others;
      task.rooms = rooms_of(project, part.stock);
      const Stock* stock = find_stock(project, part.stock);
      const bool turned = project.laying.turn_step_deg > 0;
      if (!turned || (stock && stock->grain != Grain::none)) task.turns = allowed_turns(stock, {0});
      if (fit_in(task, task.part).scale >= 1) continue;
      large = true;
      constexpr double kRoomMm = 0.05;  // for packing, which knows no slack
      task.allowance = allowance_of(*piece) + kRoomMm;
      task.kept = seams_of(pinned, share);
      std::erase_if(task.kept, [&](const Seam& s) { return !divide(task.part, {s}).seams.front(); });
      const tiling::Split split = split_part(task);
      const std::vector<Seam> found(split.seams.begin() + static_cast<std::ptrdiff_t>(split.kept), split.seams.end());
      const auto more = shares_of(found, share);
      seams.insert(seams.end(), more.begin(), more.end());
      others.insert(others.end(), split.seams.begin(), split.seams.end());
      out.parts.push_back({id, part.name, split.tiles.size(), split.seams.size(), split.seam_mm, split.visible_mm,
                           split.fits(), fits_trimmed(task)});
    }
    if ((!large || seams.empty()) && !ends_in_seams(*piece)) continue;
    if (!large) seams.clear();
    for (std::size_t i = 0; i + 3 < pinned.size() && large; i += 4)
      pins.insert(pins.end(), {(pinned[i] + pinned[i + 2]) / 2, (pinned[i + 1] + pinned[i + 3]) / 2});
    out.project = edit_piece(std::move(out.project), id, [&](Piece& p) {
      if (!ends_in_seams(p)) {
        Step step;
        step.id = next_step_id(p);
        step.kind = "seams";
        p.steps.push_back(std::move(step));
      }
      p.steps.back().on = true;
      p.steps.back().values["seams"] = seams;
      p.steps.back().values["pinned"] = pins;
    });
  }
  return out;
}

}  // namespace dotlane
