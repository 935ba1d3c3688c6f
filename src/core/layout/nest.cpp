#include "core/layout/nest.hpp"

#include <algorithm>
#include <chrono>
#include <map>
#include <set>

#include "core/layout/lay_edit.hpp"
#include "core/layout/pack/settle.hpp"
#include "core/layout/room.hpp"
#include "core/layout/shelf.hpp"
#include "core/project/edit.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {
namespace {

Affine to_figure(const Drawing& drawing, const Part& part) {
  return frame_of(find_drawn(drawing, part.key.piece)->map).to_figure;
}

/// What the parts take up as they lie to each other in the figure, mm in the upright frame of the first one's piece.
Region shape_as_one(const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& parts) {
  const Part& first = layout.parts[parts.front()];
  if (parts.size() == 1) return packed_shape(drawing, first);
  std::vector<Region> all;
  for (const std::size_t i : parts)
    all.push_back(body_on_mat(drawing, layout.parts[i], to_figure(drawing, first).inverse()));
  return unite(all);
}

}  // namespace

NestOptions nest_options(const Project& project) {
  NestOptions out;
  out.gap_mm = project.laying.gap_mm;
  out.turns = turns_in_steps(project.laying.turn_step_deg);
  return out;
}

std::vector<double> turns_in_steps(double degrees) {
  if (!(degrees > 0) || degrees > 180) return {0};
  std::vector<double> out;
  for (int i = 0; i * degrees < 360 - 1e-6; ++i) out.push_back(i * degrees);
  return out;
}

std::vector<double> allowed_turns(const Stock* stock, const std::vector<double>& turns) {
  const Grain grain = stock ? stock->grain : Grain::none;
  if (grain == Grain::none) return turns;
  const double along = grain == Grain::upright ? 0 : 90;
  return turns.size() > 1 ? std::vector<double>{along, along + 180} : std::vector<double>{along};
}

namespace {

Nest nest_without_own_turns(const Project& project, const Drawing& drawing, const Layout& layout,
                            const std::string& stock, const NestOptions& options) {
  Nest nest;
  nest.stock = stock;
  nest.some = !options.only.empty();
  nest.task.gap = options.gap_mm;
  nest.task.seed = options.seed;
  nest.task.turns = allowed_turns(find_stock(project, stock), options.turns);
  std::vector<bool> stays(layout.laid.size(), nest.some);
  for (const std::size_t k : options.only) {
    for (const std::size_t m : layout.moved_with(project, k)) stays[m] = false;
  }
  for (std::size_t k = 0; k < layout.laid.size(); ++k) {
    if (!layout.laid[k].pinned) continue;
    for (const std::size_t m : layout.moved_with(project, k)) stays[m] = true;
  }
  std::map<std::vector<std::size_t>, std::size_t> shape_of;  // by the parts that are moved as one
  std::map<int, std::vector<Region>> taken;                  // by sheet
  std::vector<bool> known(layout.laid.size());
  for (std::size_t k = 0; k < layout.laid.size(); ++k) {
    const LaidPart& laid = layout.laid[k];
    const Part& part = layout.parts[laid.part];
    if (part.stock != stock || known[k]) continue;
    if (stays[k]) {
      if (laid.sheet != 0) taken[laid.sheet].push_back(body_on_mat(drawing, part, laid.map));
      continue;
    }
    std::vector<std::size_t> as_one = layout.moved_with(project, k), parts;
    for (const std::size_t m : as_one) known[m] = true, parts.push_back(layout.laid[m].part);
    const auto [at, fresh] = shape_of.try_emplace(parts, nest.task.shapes.size());
    if (fresh) nest.task.shapes.push_back(shape_as_one(drawing, layout, parts));
    nest.task.items.push_back(at->second);
    nest.laid.push_back(std::move(as_one));
  }
  const auto add = [&](Sheet sheet, int most, std::vector<Region> there) {
    nest.task.stands.push_back({usable_on(project, sheet), most, std::move(there)});
    nest.sheets.push_back(std::move(sheet));
  };
  std::map<int, int> gone;  // of the shelf, by id
  for (const auto& sheet : project.sheets) {
    const bool used = taken.contains(sheet.id);
    if (sheet.stock != stock || !(used || nest.some)) continue;
    ++gone[sheet.shelf];
    if (options.onto == 0 || options.onto == sheet.id) add(sheet, 1, used ? taken.at(sheet.id) : std::vector<Region>());
  }
  if (options.onto != 0) return nest;
  std::vector<const ShelfItem*> shelf;
  for (const auto& item : project.shelf) {
    if (item.stock == stock) shelf.push_back(&item);
  }
  std::stable_sort(shelf.begin(), shelf.end(), [](const ShelfItem* a, const ShelfItem* b) {
    return std::tuple(a->outline.empty(), a->width_mm * a->height_mm) <
           std::tuple(b->outline.empty(), b->width_mm * b->height_mm);
  });
  for (const auto* item : shelf) {
    const int left = item->count ? *item->count - gone[item->id] : 0;
    if (item->count && left <= 0) continue;
    Sheet sheet;
    sheet.stock = stock;
    sheet.area = place_on(project.machine, item->width_mm, item->height_mm);
    sheet.outline = item->outline;
    sheet.shelf = item->id;
    add(sheet, left, {});
  }
  if (shelf.empty()) {
    const Sheet* first = first_sheet(project, stock);
    Sheet sheet = first ? *first : Sheet{};
    if (!first) sheet.area = project.machine.mat_area();
    sheet.id = 0, sheet.stock = stock, sheet.outline.clear(), sheet.shelf = 0;
    sheet.unknown.clear();
    add(sheet, 0, {});
  }
  return nest;
}

}  // namespace

Nest nest_of(const Project& project, const Drawing& drawing, const Layout& layout, const std::string& stock,
             const NestOptions& options) {
  Nest nest = nest_without_own_turns(project, drawing, layout, stock, options);
  const Stock* known = find_stock(project, stock);
  // Nothing is turned that is not to be.
  if (options.turns.size() > 1 && (!known || known->grain == Grain::none)) pack::allow_own_turns(nest.task);
  return nest;
}

Project nested(Project project, const Drawing& drawing, const Layout& layout, const Nest& nest,
               const pack::Packing& packing) {
  std::set<int> kept;
  for (const auto& sheet : nest.some ? project.sheets : nest.sheets) kept.insert(sheet.id);
  const auto goes = [&](const Sheet& s) { return s.stock == nest.stock && !kept.contains(s.id); };
  std::vector<Sheet> free;
  std::copy_if(project.sheets.begin(), project.sheets.end(), std::back_inserter(free), goes);
  std::vector<Sheet> used;
  for (const std::size_t stand : packing.sheets) {
    Sheet sheet = nest.sheets[stand];
    // A sheet that lies there already is used as it lies, beside others on its mat.
    const auto same = std::find_if(free.begin(), free.end(), [&](const Sheet& s) {
      return sheet.id == 0 && s.area == sheet.area && s.outline == sheet.outline && s.shelf == sheet.shelf;
    });
    if (same != free.end()) {
      sheet = *same;
      free.erase(same);
    } else if (sheet.id == 0) {
      const int id = add_sheet(project, nest.stock);
      sheet.id = id, sheet.load = project.sheets.back().load;
      sheet.window = {sheet.area.x0, sheet.area.y0};
      project.sheets.back() = sheet;
    }
    kept.insert(sheet.id);
    used.push_back(sheet);
  }
  std::erase_if(project.sheets, goes);
  add_missing_sheets(project);
  std::vector<std::size_t> records = layout.records;
  const auto put = [&](std::size_t k, Place place) {
    const LaidPart& laid = layout.laid[k];
    place.copy = laid.copy;
    project = set_place(std::move(project), drawing, layout.parts[laid.part], records[laid.part], std::move(place));
  };
  for (const auto& lies : packing.parts) {
    const auto& as_one = nest.laid[lies.item];
    const Affine map = lies.map() * to_figure(drawing, layout.parts[layout.laid[as_one.front()].part]).inverse();
    for (const std::size_t k : as_one)
      put(k, place_of(drawing, layout.parts[layout.laid[k].part], map, used[lies.sheet]));
  }
  for (const std::size_t item : packing.waiting) {
    for (const std::size_t k : nest.laid[item]) put(k, {});
  }
  if (nest.some) return project;
  for (auto& stock : project.stocks) {
    if (stock.id == nest.stock) stock.laid_out = LaidOut::packed;
  }
  return project;
}

Project find_room(const Project& project, const Drawing& drawing, const Layout& layout,
                  const std::vector<std::size_t>& laid, int onto) {
  std::map<std::string, std::vector<std::size_t>> by_stock;
  for (const std::size_t k : laid) {
    if (k < layout.laid.size()) by_stock[layout.parts[layout.laid[k].part].stock].push_back(k);
  }
  Project out = project;
  NestOptions options = nest_options(project);
  options.onto = onto;
  for (auto& [stock, of_stock] : by_stock) {
    options.only = std::move(of_stock);
    const Nest nest = nest_of(out, drawing, layout, stock, options);
    if (nest.task.stands.empty()) continue;
    const pack::Packing packing = pack::settled(nest.task, pack::Packer(nest.task).best());
    if (onto != 0 && !packing.waiting.empty()) return project;
    out = nested(std::move(out), drawing, layout, nest, packing);
  }
  return out;
}

Project pushed_together(Project project, const Drawing& drawing, const Layout& layout, double gap_mm,
                        const std::vector<std::size_t>& only, const std::function<bool()>& stop) {
  std::vector<bool> moves(layout.laid.size(), only.empty());
  for (const std::size_t k : only) moves[k] = true;
  std::vector<std::size_t> records = layout.records;
  for (const auto& placed : layout.sheets) {
    pack::Task task;
    task.gap = gap_mm;
    pack::Packing packing;
    packing.sheets = {0};
    std::vector<Region> taken;
    std::vector<std::vector<std::size_t>> laid;
    std::vector<bool> known(layout.laid.size());
    for (std::size_t k = 0; k < layout.laid.size(); ++k) {
      if (layout.laid[k].sheet != placed.sheet.id || known[k]) continue;
      std::vector<std::size_t> as_one;
      bool move = true;
      std::vector<Region> bodies;
      for (const std::size_t m : layout.moved_with(project, k)) {
        if (layout.laid[m].sheet != placed.sheet.id) continue;
        known[m] = true;
        move = move && moves[m] && !layout.laid[m].pinned;
        as_one.push_back(m);
        bodies.push_back(body_on_mat(drawing, layout.parts[layout.laid[m].part], layout.laid[m].map));
      }
      Region body = bodies.size() == 1 ? std::move(bodies.front()) : unite(bodies);
      if (!move) {
        taken.push_back(std::move(body));
        continue;
      }
      const std::size_t item = task.items.size();
      task.items.push_back(item);
      task.shapes.push_back(std::move(body));
      packing.parts.push_back({item, 0, 0, {}});
      laid.push_back(std::move(as_one));
    }
    if (laid.empty()) continue;
    task.stands.push_back({usable_on(project, placed.sheet), 1, std::move(taken)});
    for (const auto& lies : pack::settled(task, packing, stop).parts) {
      if (lies.move == Vec{}) continue;
      for (const std::size_t k : laid[lies.item]) {
        const LaidPart& part = layout.laid[k];
        Place place = place_of(drawing, layout.parts[part.part], lies.map() * part.map, placed.sheet);
        place.copy = part.copy;
        project = set_place(std::move(project), drawing, layout.parts[part.part], records[part.part], std::move(place));
      }
    }
  }
  return project;
}

Nested nest_all(const Project& project, const Drawing& drawing, const Layout& layout, const NestOptions& options,
                double seconds, const NestWatch& watch) {
  using Clock = std::chrono::steady_clock;
  std::set<std::string> stocks;
  for (const auto& part : layout.parts) stocks.insert(part.stock);
  // A first answer for every stock, then better ones for one after the other.
  std::vector<Nest> nests;
  std::vector<pack::Packer> packers;
  for (const auto& stock : stocks) {
    nests.push_back(nest_of(project, drawing, layout, stock, options));
    packers.emplace_back(nests.back().task);
  }
  Nested out;
  const auto sum_up = [&](const auto& packing_of) {
    out.sheets = 0, out.parts_mm2 = out.used_mm2 = 0;
    for (std::size_t i = 0; i < nests.size(); ++i) {
      const pack::Packing& packing = packing_of(i);
      out.sheets += packing.sheets.size();
      out.parts_mm2 += packing.parts_mm2, out.used_mm2 += packing.used_mm2;
    }
  };
  const auto tell = [&] {
    sum_up([&](std::size_t i) -> const pack::Packing& { return packers[i].best(); });
    if (watch.tell) watch.tell(out.sheets, out.density());
  };
  tell();
  for (std::size_t i = 0; i < nests.size(); ++i) {
    const auto end = Clock::now() + std::chrono::duration<double>(seconds / static_cast<double>(nests.size()));
    const auto over = [&] {
      return (watch.enough && watch.enough()) || (watch.quit && watch.quit()) || Clock::now() >= end;
    };
    while (nests[i].task.items.size() > 1 && !over()) {
      if (packers[i].improve(over)) tell();
    }
  }
  std::vector<pack::Packing> packings;
  for (std::size_t i = 0; i < nests.size(); ++i)
    packings.push_back(pack::settled(nests[i].task, packers[i].best(), watch.quit));
  sum_up([&](std::size_t i) -> const pack::Packing& { return packings[i]; });
  out.project = project;
  for (std::size_t i = 0; i < nests.size(); ++i) {
    Layout now = layout;
    now.records = match(drawing, layout.parts, out.project.parts);
    out.project = nested(std::move(out.project), drawing, now, nests[i], packings[i]);
  }
  // Mat loads are counted from one again where sheets went and came.
  std::map<int, int> number;
  for (const auto& sheet : out.project.sheets) number.emplace(sheet.load, 0);
  int n = 0;
  for (auto& [load, now] : number) now = ++n;
  for (auto& sheet : out.project.sheets) sheet.load = number.at(sheet.load);
  return out;
}

SheetUse use_of(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet,
                double gap_mm) {
  SheetUse out;
  out.sheet = sheet.id;
  const Region area = usable_on(project, sheet);
  std::vector<Region> bodies;
  double parts = 0;
  std::size_t last = npos;  // copies follow one another
  Region shape;
  for (std::size_t k = 0; k < layout.laid.size(); ++k) {
    if (layout.laid[k].sheet != sheet.id) continue;
    const Part& part = layout.parts[layout.laid[k].part];
    out.laid.push_back(k);
    if (std::exchange(last, layout.laid[k].part) != layout.laid[k].part) shape = packed_shape(drawing, part);
    bodies.push_back(transformed(shape, layout.laid[k].map * to_figure(drawing, part)));
    parts += part.area_mm2;
  }
  const double whole = area_of(area_of(project, sheet));
  out.used = whole > 0 ? parts / whole : 0;
  out.offcut = pack::largest_clean(area, bodies, gap_mm);
  return out;
}

}  // namespace dotlane
