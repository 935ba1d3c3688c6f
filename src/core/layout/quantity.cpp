#include "core/layout/quantity.hpp"

#include <algorithm>
#include <cmath>

#include "core/layout/nest.hpp"
#include "core/layout/pack/packer.hpp"
#include "core/layout/pack/settle.hpp"
#include "core/layout/room.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {
namespace {

constexpr int kHalvings = 7;
constexpr double kLongest = 100'000;    // mm: more than anybody buys
constexpr std::size_t kMostPiles = 24;  // that are packed at once; a batch of more is packed in equal lots

bool has_fused_edge(const Project& project, const Part& part) {
  const Piece* piece = find_piece(project, part.key.piece);
  return piece && std::any_of(piece->steps.begin(), piece->steps.end(), [](const Step& step) {
           return step.on && step.kind == "applique" &&
                  Reading(*find_kind(step_kinds(), step.kind), step.values).is("edge", "fused");
         });
}

/// Packs them all at once.
Quantity at_once(const Project& project, const Drawing& drawing, const Layout& layout, const std::string& stock,
                 const QuantityOptions& options, const std::function<bool()>& stop) {
  Quantity out;
  pack::Task task;
  task.gap = options.gap_mm;
  task.turns = allowed_turns(find_stock(project, stock), turns_in_steps(project.laying.turn_step_deg));
  std::vector<std::size_t> number(layout.parts.size());  // how many of each the layout has
  for (const auto& laid : layout.laid) ++number[laid.part];
  double area = 0, tallest = 0;
  for (std::size_t i = 0; i < layout.parts.size(); ++i) {
    const Part& part = layout.parts[i];
    if (part.stock != stock || (options.fused_only && !has_fused_edge(project, part))) continue;
    const std::size_t wanted = number[i] * static_cast<std::size_t>(std::max(1, options.copies));
    const auto layers = static_cast<std::size_t>(std::max(1, options.layers));
    const std::size_t piles = (wanted + layers - 1) / layers;
    Region shape = packed_shape(drawing, part);
    const double own = area_of(shape);
    const Box box = bounds_of(shape);
    tallest = std::max({tallest, std::hypot(box.width(), box.height())});
    area += own * static_cast<double>(piles);
    out.parts += wanted, out.piles += piles;
    task.items.insert(task.items.end(), piles, task.shapes.size());
    task.shapes.push_back(std::move(shape));
  }
  if (task.items.empty() || !(options.wide_mm > 0)) return out;
  const auto roll_out = [&](double length) { task.stands = {{region_of(Box{0, 0, options.wide_mm, length}), 1, {}}}; };
  const auto packed = [&](double length) {
    roll_out(length);
    return pack::Packer(task).best();
  };
  // What waits however long it is does not fit across.
  double fits = std::min(kLongest, 2 * area / options.wide_mm + 2 * tallest);
  pack::Packing best = packed(fits);
  while (!best.waiting.empty() && fits < kLongest && !stop()) {
    pack::Packing longer = packed(std::min(kLongest, 2 * fits));
    if (longer.waiting.size() == best.waiting.size()) break;
    fits = std::min(kLongest, 2 * fits), best = std::move(longer);
  }
  out.too_wide = best.waiting.size();
  double least = area / options.wide_mm;
  for (int i = 0; i < kHalvings && fits - least > options.gap_mm && !stop(); ++i) {
    const double length = (least + fits) / 2;
    pack::Packing tried = packed(length);
    if (tried.waiting.size() > out.too_wide) {
      least = length;
    } else {
      fits = length, best = std::move(tried);
    }
  }
  roll_out(fits);
  best = pack::settled(task, std::move(best), stop);
  double placed = 0;
  for (const auto& lies : best.parts) {
    const Region& shape = task.shapes[task.items[lies.item]];
    out.packed_mm = std::max(out.packed_mm, bounds_of(transformed(shape, lies.map())).y1);
    placed += area_of(shape);
  }
  out.used = out.packed_mm > 0 ? placed / (out.packed_mm * options.wide_mm) : 0;
  const Stock* known = find_stock(project, stock);
  const double shrinks = options.shrinks.value_or(known ? known->shrinks_percent / 100 : 0);
  out.length_mm = out.packed_mm * std::max(1, options.layers) / (1 - std::clamp(shrinks, 0.0, 0.5));
  return out;
}

}  // namespace

Quantity quantity_of(const Project& project, const Drawing& drawing, const Layout& layout, const std::string& stock,
                     const QuantityOptions& options, const std::function<bool()>& stop) {
  const std::function<bool()> stopped = [&] { return stop && stop(); };
  const std::size_t each =
      static_cast<std::size_t>(std::count_if(layout.laid.begin(), layout.laid.end(), [&](const LaidPart& laid) {
        const Part& part = layout.parts[laid.part];
        return part.stock == stock && (!options.fused_only || has_fused_edge(project, part));
      }));
  const int layers = std::max(1, options.layers);
  // Whole piles in each lot, so that none is begun for a few.
  const int lot = layers * static_cast<int>(std::max<std::size_t>(1, kMostPiles / std::max<std::size_t>(1, each)));
  if (options.copies <= lot) return at_once(project, drawing, layout, stock, options, stopped);
  const auto of = [&](int copies) {
    QuantityOptions some = options;
    some.copies = copies;
    return copies > 0 && !stopped() ? at_once(project, drawing, layout, stock, some, stopped) : Quantity{};
  };
  const int lots = options.copies / lot;
  const Quantity one = of(lot), rest = of(options.copies % lot);
  const auto n = static_cast<std::size_t>(lots);
  Quantity out;
  out.parts = n * one.parts + rest.parts, out.piles = n * one.piles + rest.piles;
  out.too_wide = n * one.too_wide + rest.too_wide;
  // One after the other along the bolt, the gap between them.
  const double packed = lots * one.packed_mm + rest.packed_mm;
  if (packed <= 0) return out;
  const int strips = lots + (rest.packed_mm > 0 ? 1 : 0);
  out.packed_mm = packed + (strips - 1) * options.gap_mm;
  const Quantity& any = one.packed_mm > 0 ? one : rest;
  out.length_mm = out.packed_mm * (any.length_mm / any.packed_mm);
  out.used = (lots * one.packed_mm * one.used + rest.packed_mm * rest.used) / out.packed_mm;
  return out;
}

}  // namespace dotlane
