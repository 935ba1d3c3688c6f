#include "core/layout/how_big.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/inner_fit.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/pack/packer.hpp"
#include "core/layout/room.hpp"
#include "core/project/presets.hpp"

namespace dotlane {
namespace {

constexpr double kSlackMm = 0.01;
constexpr double kHelps = 1.001;  // times as large as without, at least

BoxFit largest_in(const std::vector<Vec>& rooms, const Stock* stock, const Region& shape) {
  const bool grain = stock && stock->grain != Grain::none;
  return largest_in_any(hull_of(shape), rooms, grain ? allowed_turns(stock, {0}) : std::vector<double>{}, kSlackMm);
}

/// Scraps of the stock, as far as tools reach them, mm.
std::vector<Region> scraps_of(const Project& project, const std::string& stock) {
  std::vector<Region> out;
  const auto take = [&](const Outline& outline, Vec corner) {
    const Region scrap = transformed(region_of(outline, FillRule::evenodd), Affine::move(corner.x, corner.y));
    out.push_back(intersect(scrap, region_of(project.machine.usable_area())));
  };
  for (const auto& sheet : project.sheets) {
    if (sheet.stock == stock && !sheet.outline.empty()) take(sheet.outline, {sheet.area.x0, sheet.area.y0});
  }
  // What is not laid down yet lies in the corner of what tools reach.
  const Box usable = project.machine.usable_area();
  for (const auto& item : project.shelf) {
    if (item.stock == stock && !item.outline.empty()) take(item.outline, {usable.x0, usable.y0});
  }
  return out;
}

bool has_sheets(const Project& project, const std::string& stock) {
  return std::any_of(project.sheets.begin(), project.sheets.end(),
                     [&](const Sheet& s) { return s.stock == stock && s.outline.empty(); }) ||
         std::any_of(project.shelf.begin(), project.shelf.end(),
                     [&](const ShelfItem& s) { return s.stock == stock && s.outline.empty() && s.count != 0; });
}

/// The same with its scraps: where there are no sheets but these, they alone.
BoxFit largest_with_scraps(const Project& project, const std::string& stock, const Region& shape,
                           const std::vector<Region>& scraps) {
  BoxFit best = largest_on(project, stock, shape);
  if (scraps.empty()) return best;
  if (!has_sheets(project, stock)) best = {};
  const Stock* known = find_stock(project, stock);
  const bool grain = known && known->grain != Grain::none;
  for (const auto& scrap : scraps) {
    const InnerFit fit =
        largest_within(shape, scrap, grain ? allowed_turns(known, {0}) : std::vector<double>{}, best.scale);
    if (fit.scale > best.scale) best = {fit.scale, fit.turn};
  }
  return best;
}

/// The largest at which each of several shapes fits.
double all_fit(const std::vector<Vec>& rooms, const Stock* stock, const std::vector<Region>& shapes) {
  double out = shapes.empty() ? 0 : 1e9;
  for (const auto& shape : shapes) out = std::min(out, largest_in(rooms, stock, shape).scale);
  return out;
}

/// Divided by one straight cut where that lets both sides be as large as can be: across, at every twentieth of its
/// length, in directions a twelfth of a turn apart.
double with_seam(const std::vector<Vec>& rooms, const Stock* stock, const Region& shape) {
  constexpr int kPlaces = 20, kDirections = 6;
  double best = 0;
  for (int d = 0; d < kDirections; ++d) {
    const Region turned = transformed(shape, Affine::rotate(180.0 * d / kDirections));
    const Box box = bounds_of(turned);
    for (int k = 4; k <= kPlaces - 4; ++k) {
      const double x = box.x0 + box.width() * k / kPlaces;
      const Region left = intersect(turned, region_of(Box{box.x0 - 1, box.y0 - 1, x, box.y1 + 1})),
                   right = intersect(turned, region_of(Box{x, box.y0 - 1, box.x1 + 1, box.y1 + 1}));
      // A grain does not turn along with the cut.
      const Affine back = Affine::rotate(-180.0 * d / kDirections);
      best = std::max(best, all_fit(rooms, stock, {transformed(left, back), transformed(right, back)}));
    }
  }
  return best;
}

}  // namespace

std::vector<Vec> rooms_of(const Project& project, const std::string& stock) {
  const Box usable = project.machine.usable_area();
  std::vector<Vec> out;
  const auto take = [&](double w, double h, bool scrap) {
    if (!scrap) out.push_back({std::min(w, usable.width()), std::min(h, usable.height())});
  };
  for (const auto& sheet : project.sheets) {
    if (sheet.stock == stock) take(sheet.area.width(), sheet.area.height(), !sheet.outline.empty());
  }
  for (const auto& item : project.shelf) {
    if (item.stock == stock) take(item.width_mm, item.height_mm, !item.outline.empty());
  }
  if (out.empty()) out.push_back({usable.width(), usable.height()});
  return out;
}

BoxFit largest_on(const Project& project, const std::string& stock, const Region& shape) {
  return largest_in(rooms_of(project, stock), find_stock(project, stock), shape);
}

double told_scale(double scale) { return std::floor(scale * 1000) / 1000; }

std::string_view word(Remedy::What what) {
  switch (what) {
    case Remedy::What::mat:
      return "mat";
    case Remedy::What::sheet:
      return "sheet";
    case Remedy::What::seam:
      return "seam";
    default:
      return "trim";
  }
}

HowBig how_big(const Project& project, const Drawing& drawing, const Layout& layout) {
  HowBig out;
  std::vector<Region> shapes;
  std::vector<double> scales;  // at which each part fits
  double others = 1e9;         // how large all but the one that stops it may be
  std::map<std::string, std::vector<Region>> scraps;
  for (const auto& part : layout.parts) {
    if (!scraps.contains(part.stock)) scraps[part.stock] = scraps_of(project, part.stock);
  }
  for (std::size_t i = 0; i < layout.parts.size(); ++i) {
    const Part& part = layout.parts[i];
    shapes.push_back(packed_shape(drawing, part));
    out.figure.add(part.reach);
    if (part.has_body()) out.figure.add(part.bounds());
    scales.push_back(1e9);
    if (shapes.back().empty()) continue;
    const BoxFit fit = largest_with_scraps(project, part.stock, shapes.back(), scraps.at(part.stock));
    scales.back() = fit.scale;
    if (out.part == npos || fit.scale < out.scale) {
      others = out.part == npos ? 1e9 : out.scale;
      out.part = i, out.scale = fit.scale, out.turn = fit.turn;
    } else {
      others = std::min(others, fit.scale);
    }
  }
  if (out.part == npos) return out;
  const auto offer = [&](Remedy::What what, const std::string& name, double scale) {
    if (scale > kHelps * out.scale) out.remedies.push_back({what, name, scale});
  };
  for (const auto& mat : preset_mats()) {
    Machine larger = project.machine;
    larger.mat = mat;
    const Box room = larger.usable_area(), now = project.machine.usable_area();
    if (room.width() <= now.width() + 1 && room.height() <= now.height() + 1) continue;
    double scale = 1e9;
    for (std::size_t i = 0; i < shapes.size(); ++i) {
      if (!shapes[i].empty())
        scale = std::min(
            scale,
            largest_in({{room.width(), room.height()}}, find_stock(project, layout.parts[i].stock), shapes[i]).scale);
    }
    offer(Remedy::What::mat, mat.name, scale);
  }
  const Part& part = layout.parts[out.part];
  const Stock* stock = find_stock(project, part.stock);
  const auto rooms = rooms_of(project, part.stock);
  if (!has_sheets(project, part.stock) && !scraps.at(part.stock).empty()) {
    // What its scraps stop wants a sheet before it wants a seam.
    double scale = 1e9;
    for (std::size_t i = 0; i < shapes.size(); ++i) {
      if (shapes[i].empty()) continue;
      const bool same = layout.parts[i].stock == part.stock;
      scale = std::min(scale, same ? largest_in(rooms, stock, shapes[i]).scale : scales[i]);
    }
    offer(Remedy::What::sheet, stock ? stock->name : part.stock, scale);
    return out;
  }
  if (!part.has_body()) return out;
  const Region body = part.body();
  offer(Remedy::What::seam, part.name, std::min(others, with_seam(rooms, stock, body)));
  // What lies on it: parts of pieces that are above its own.
  const auto layer = [&](const Part& p) {
    return std::find_if(drawing.pieces.begin(), drawing.pieces.end(),
                        [&](const auto& piece) { return piece->piece->id == p.first.piece; }) -
           drawing.pieces.begin();
  };
  std::vector<Region> above;
  for (const Part& other : layout.parts) {
    if (other.has_body() && layer(other) < layer(part) && other.bounds().overlaps(part.bounds()))
      above.push_back(other.body());
  }
  if (!above.empty()) {
    const auto rest = parts_of(subtract(body, offset(unite(above), -kTuckMm)));
    if (!rest.empty()) offer(Remedy::What::trim, part.name, std::min(others, all_fit(rooms, stock, rest)));
  }
  std::stable_sort(out.remedies.begin(), out.remedies.end(),
                   [](const Remedy& a, const Remedy& b) { return a.scale > b.scale; });
  return out;
}

std::map<std::string, std::size_t> sheets_at(const Project& project, const Drawing& drawing, const Layout& layout,
                                             double scale) {
  std::map<std::string, std::size_t> out;
  Layout loose = layout;  // where parts are pinned today says nothing of another size
  for (auto& laid : loose.laid) laid.pinned = false;
  for (const auto& part : layout.parts) out.try_emplace(part.stock, 0);
  // A count wants no finer turns, and is there the sooner.
  constexpr double kTurns = 15;
  NestOptions options = nest_options(project);
  if (options.turns.size() > 1) options.turns = turns_in_steps(std::max(kTurns, project.laying.turn_step_deg));
  for (auto& [stock, sheets] : out) {
    pack::Task task = nest_of(project, drawing, loose, stock, options).task;
    for (auto& shape : task.shapes) shape = transformed(shape, Affine::scale(scale, scale));
    if (options.turns.size() > 1) pack::allow_own_turns(task);
    pack::Packer packer(task);
    const pack::Packing& packing = packer.best();
    sheets = packing.sheets.size() + packing.waiting.size();
  }
  return out;
}

}  // namespace dotlane
