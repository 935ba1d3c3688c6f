#include "core/shape/paint_layers.hpp"

#include <algorithm>
#include <array>
#include <set>

#include "core/color_space.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"

namespace dotlane {
namespace {

constexpr double kBare = 0.01;  // share of a hole that later paint may leave bare and still fill it

/// The holes of a region, each as what it encloses.
std::vector<Region> holes_of(const Region& region) {
  std::vector<Region> out;
  for (const auto& part : parts_of(region)) {
    for (std::size_t i = 1; i < part.rings.size(); ++i) out.push_back(region_of({part.rings[i]}, FillRule::evenodd));
  }
  return out;
}

/// The colour a piece is seen in: what its artwork fills it with, else its stock's.
Color seen_color(const Project& project, const Piece& piece) {
  for (const auto& line : piece.lines) {
    if (line.filled) return line.color;
  }
  const Stock* stock = find_stock(project, piece.stock);
  return stock ? stock->color : Color{};
}

/// Paints that can be told apart, for pieces that are seen in the same colour, or as white as the wall.
constexpr std::array kPaints{Color{47, 107, 79}, Color{201, 138, 43}, Color{42, 92, 140},
                             Color{160, 66, 58}, Color{110, 78, 130}, Color{60, 60, 64}};
constexpr double kTellApart = 12;  // CIEDE2000

}  // namespace

Plate paint_plate(const std::vector<Region>& picture, std::size_t layer, const PlateOptions& options) {
  Plate out;
  Box box;
  for (const auto& region : picture) box.add(bounds_of(region));
  if (box.empty()) return out;
  out.edge = box.grown(options.margin);
  if (const double leg = std::min(
          {options.corners, 0.8 * options.margin, 0.4 * (std::min(box.width(), box.height()) + options.margin)});
      leg > 0) {
    const Box frame = box.grown(options.margin / 2);
    std::vector<Ring> rings;
    for (const auto& [x, inward] : {std::pair{frame.x0, leg}, std::pair{frame.x1, -leg}}) {
      for (const auto& [y, down] : {std::pair{frame.y0, leg}, std::pair{frame.y1, -leg}})
        rings.push_back({{x, y}, {x + inward, y}, {x, y + down}});
    }
    out.corners = region_of(rings, FillRule::nonzero);
  }
  if (layer >= picture.size()) return out;
  out.openings = picture[layer];
  const Region later = unite({picture.begin() + static_cast<std::ptrdiff_t>(layer) + 1, picture.end()});
  using Under = PlateOptions::Under;
  if (options.under == Under::left_out) {
    out.openings = subtract(out.openings, later);
    return out;
  }
  if (options.under == Under::filled) {
    std::vector<Region> filled{out.openings};
    for (auto& hole : holes_of(out.openings)) {
      if (area_of(subtract(hole, later)) <= kBare * area_of(hole)) filled.push_back(std::move(hole));
    }
    if (filled.size() > 1) out.openings = unite(filled);
  }
  if (options.overlap > 0 && !later.empty())
    out.openings = unite({out.openings, intersect(offset(out.openings, options.overlap), later)});
  return out;
}

std::optional<Color> paint_of(const DrawnPiece& piece) {
  for (const auto& outcome : piece.outcomes) {
    if (outcome.paint) return outcome.paint;
  }
  return std::nullopt;
}

Project add_paint_layers(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                         std::vector<int>* ids) {
  std::set<std::string> stocks;  // of the plates, and of nothing else that is run
  std::vector<double> picture;
  std::vector<LineRef> shown_lines;
  for (auto p = project.pieces.rbegin(); p != project.pieces.rend(); ++p) {  // the lowest is painted first
    if (std::find(pieces.begin(), pieces.end(), (*p)->id) == pieces.end()) continue;
    picture.push_back((*p)->id);
    shown_lines.push_back({(*p)->id, ""});
  }
  std::vector<Color> paints;
  const auto free_stock = [&](const std::string& id) {
    return std::none_of(project.pieces.begin(), project.pieces.end(),
                        [&](const auto& p) { return p->stock == id && !p->helper; });
  };
  for (const double id : picture) project = set_helper(std::move(project), static_cast<int>(id), true);
  for (std::size_t k = 0; k < picture.size(); ++k) {
    const Piece shown = *find_piece(project, static_cast<int>(picture[k]));
    Piece plate;
    plate.id = next_piece_id(project);
    plate.name = "Layer " + std::to_string(k + 1) + ", " + shown.name;
    const Stock* like = find_stock(project, "stencil-film");
    if (!like) like = find_stock(project, shown.stock);
    if (like) {
      Stock film = *like;
      for (int n = 2; find_stock(project, film.id) && !free_stock(film.id); ++n) {
        film.id = like->id + "-" + std::to_string(n);
        film.name = like->name + " " + std::to_string(n);
      }
      plate.stock = film.id;
      stocks.insert(film.id);
      if (!find_stock(project, film.id)) project.stocks.push_back(std::move(film));
    }
    Color paint = seen_color(project, shown);
    const auto known = [&](Color c) {
      return difference(c, {255, 255, 255}) < kTellApart ||
             std::any_of(paints.begin(), paints.end(), [&](Color other) { return difference(c, other) < kTellApart; });
    };
    for (const Color c : kPaints) {
      if (!known(paint)) break;
      if (!known(c)) paint = c;
    }
    paints.push_back(paint);
    plate.source.kind = "pieces";
    plate.steps = {Step{1,
                        "paint-layer",
                        true,
                        {{"with", picture}, {"layer", static_cast<double>(k + 1)}, {"paint", hex(paint)}},
                        {},
                        {}},
                   Step{2, "bridge", true, {{"of", std::string(kPlateOpenings)}}, {}, {}}};
    for (const char* line : {kPlateEdge, kPlateOpenings, kPlateCorners})
      plate.dress[line] = {Role::cut, false, choose_tool(project, Role::cut, {}, plate.stock), 0};
    if (ids) ids->push_back(plate.id);
    project.pieces.insert(project.pieces.begin(), Shared<Piece>(std::move(plate)));
    match_sheets(project);  // a sheet for each, in the order of painting
  }
  const Box edge = bounds_of(drawing, shown_lines).grown(PlateOptions{}.margin);
  for (auto& sheet : project.sheets) {
    if (!stocks.contains(sheet.stock) || edge.empty()) continue;
    const Vec corner{sheet.area.x0, sheet.area.y0}, by = corner - sheet.window;
    const Box lies{edge.x0 + by.x, edge.y0 + by.y, edge.x1 + by.x, edge.y1 + by.y};
    const Box usable = project.machine.usable_area();
    if (!usable.contains(lies)) sheet.window = edge.centre() - (usable.centre() - corner);
  }
  return project;
}

}  // namespace dotlane
