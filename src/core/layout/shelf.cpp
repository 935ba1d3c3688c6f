#include "core/layout/shelf.hpp"

#include <algorithm>

#include "core/layout/nest.hpp"
#include "core/layout/room.hpp"
#include "core/project/edit.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kNarrow =
    10;  // mm: narrower strips of a rest are not worth keeping (common practice, no published source)
constexpr double kOutline = 0.1;  // mm: outlines of scraps are kept within this
constexpr double kFar = 5000;     // mm

}  // namespace

int add_to_shelf(Project& project, ShelfItem item) {
  item.id = 1;
  for (const auto& other : project.shelf) item.id = std::max(item.id, other.id + 1);
  for (const auto& sheet : project.sheets) item.id = std::max(item.id, sheet.shelf + 1);  // no other's name
  project.shelf.push_back(std::move(item));
  return project.shelf.back().id;
}

Project remove_from_shelf(Project project, int id) {
  std::erase_if(project.shelf, [&](const ShelfItem& item) { return item.id == id; });
  return project;
}

ShelfItem scrap_of(const Region& area, const std::string& stock, const std::string& from) {
  ShelfItem out;
  out.stock = stock, out.from = from, out.count = 1;
  const Box box = bounds_of(area);
  if (area.empty()) return out;
  out.width_mm = box.width(), out.height_mm = box.height();
  const auto even = [](double v) { return std::round(v * 1e3) / 1e3; };
  for (const auto& ring : area.rings) {
    Ring kept = thinned(ring, kOutline);
    if (kept.size() < 3) continue;
    for (Vec& q : kept) q = {even(q.x - box.x0), even(q.y - box.y0)};
    out.outline.push_back(std::move(kept));
  }
  return out;
}

Result<Region> outline_from(const std::string& text) {
  std::vector<Ring> rings(1);
  std::string word;
  std::vector<double> numbers;
  const auto bad = [](Said said) { return fail(ErrorKind::bad_request, std::move(said)); };
  const auto end_ring = [&] {
    if (numbers.size() % 2 != 0) return false;
    for (std::size_t i = 0; i < numbers.size(); i += 2) rings.back().push_back({numbers[i], numbers[i + 1]});
    numbers.clear();
    return rings.back().size() >= 3;
  };
  for (std::size_t i = 0; i <= text.size(); ++i) {
    const char c = i < text.size() ? text[i] : ' ';
    if (c == ' ' || c == ',' || c == '\t' || c == '\n' || c == ';') {
      if (!word.empty()) {
        const auto number = to_number(word);
        if (!number || std::abs(*number) > kFar) return bad({"corners-no-length", {{"word", word}, {"most", kFar}}});
        numbers.push_back(*number);
        word.clear();
      }
      if (c == ';') {
        if (!end_ring()) return bad({"corners-of-each"});
        rings.emplace_back();
      }
    } else {
      word += c;
    }
  }
  if (numbers.empty() && rings.size() > 1)
    rings.pop_back();
  else if (!end_ring())
    return bad({"corners-three"});
  Region out = region_of(rings, FillRule::evenodd);
  if (area_of(out) < 1) return bad({"corners-enclose-nothing"});
  return out;
}

std::string text_of(const Outline& outline) {
  std::string out;
  for (const auto& ring : outline) {
    if (!out.empty()) out += "; ";
    for (std::size_t i = 0; i < ring.size(); ++i)
      out += (i == 0 ? "" : " ") + rounded_text(ring[i].x, 1) + "," + rounded_text(ring[i].y, 1);
  }
  return out;
}

Region rest_of(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet) {
  std::vector<Region> bodies;
  for (const auto& laid : layout.laid) {
    if (laid.sheet == sheet.id)
      bodies.push_back(offset(body_on_mat(drawing, layout.parts[laid.part], laid.map), project.laying.gap_mm));
  }
  const Region rest = without_slivers(subtract(area_of(project, sheet), unite(bodies)), kNarrow);
  Region out;
  for (auto& part : parts_of(rest)) {
    if (out.empty() || area_of(part) > area_of(out)) out = std::move(part);
  }
  return out;
}

Project keep_offcut(Project project, const Drawing& drawing, const Layout& layout, int id) {
  const Sheet* sheet = find_sheet(project, id);
  if (!sheet) return project;
  const Box box = use_of(project, drawing, layout, *sheet, project.laying.gap_mm).offcut;
  if (box.empty() || box.width() < 1 || box.height() < 1) return project;
  ShelfItem item;
  item.stock = sheet->stock, item.count = 1, item.from = project.name;
  item.width_mm = box.width(), item.height_mm = box.height();
  add_to_shelf(project, std::move(item));
  return project;
}

Project keep_rest(Project project, const Drawing& drawing, const Layout& layout, int id) {
  const Sheet* sheet = find_sheet(project, id);
  if (!sheet) return project;
  Region rest = rest_of(project, drawing, layout, *sheet);
  if (rest.empty()) return project;
  if (project.plan.mirrored) rest = transformed(rest, Affine::scale(-1, 1));  // as it really lies
  const std::string from = project.name;
  add_to_shelf(project, scrap_of(rest, sheet->stock, from));
  return project;
}

Box place_on(const Machine& machine, double width, double height) {
  const auto along = [&](double size, double mat) {
    return size + 2 * machine.border_mm <= mat ? machine.border_mm : (mat - size) / 2;
  };
  return Box::of(along(width, machine.mat.width_mm), along(height, machine.mat.height_mm), width, height);
}

Project lay_from_shelf(Project project, int id) {
  const auto item =
      std::find_if(project.shelf.begin(), project.shelf.end(), [&](const ShelfItem& s) { return s.id == id; });
  if (item == project.shelf.end()) return project;
  add_sheet(project, item->stock);
  Sheet& sheet = project.sheets.back();
  sheet.area = place_on(project.machine, item->width_mm, item->height_mm);
  sheet.window = {sheet.area.x0, sheet.area.y0};
  sheet.outline = item->outline;
  sheet.shelf = id;
  return project;
}

Project remove_sheet(Project project, int id) {
  std::erase_if(project.sheets, [&](const Sheet& sheet) { return sheet.id == id; });
  for (auto& record : project.parts) {
    for (auto& place : record.places) {
      if (place.sheet == id) place = {place.copy, 0, 0, {}, false, place.unknown};
    }
  }
  return project;
}

Project take_shelf(Project project, const Project& other) {
  for (ShelfItem item : other.shelf) {
    const bool known = std::any_of(project.shelf.begin(), project.shelf.end(), [&](ShelfItem own) {
      own.id = item.id;
      return own == item;
    });
    if (known) continue;
    if (!find_stock(project, item.stock)) {
      if (const Stock* stock = find_stock(other, item.stock)) project.stocks.push_back(*stock);
    }
    add_to_shelf(project, std::move(item));
  }
  return project;
}

}  // namespace dotlane
