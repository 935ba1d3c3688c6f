#include "core/format/laying_json.hpp"

#include <algorithm>

#include "core/format/json_values.hpp"

namespace dotlane {
namespace {

constexpr int kMostIds = 1'000'000;
constexpr std::size_t kMostCorners = 20'000;  // of an outline; a traced scrap has hundreds

Vec near(const Fields& f, const char* key, Vec v) {
  if (std::max(std::abs(v.x), std::abs(v.y)) > kFarthestMm) f.bad(key, too_far());
  return v;
}

Outline read_outline(const Json& json, const std::string& where) {
  Outline out;
  std::size_t corners = 0;
  if (!json.is_array()) throw BadField{where, {"want-rings"}};
  for (std::size_t r = 0; r < json.size(); ++r) {
    const std::string at = where + "[" + std::to_string(r) + "]";
    const Json& ring = json[r];
    const bool numbers = ring.is_array() && std::all_of(ring.begin(), ring.end(), [](const Json& v) {
                           return v.is_number() && std::abs(v.get<double>()) <= kFarthestMm;
                         });
    if (!numbers || ring.size() < 6 || ring.size() % 2 != 0) throw BadField{at, {"want-corners"}};
    corners += ring.size() / 2;
    if (corners > kMostCorners) throw BadField{where, {"outline-corners", {{"most", figure(kMostCorners)}}}};
    auto& points = out.emplace_back();
    for (std::size_t i = 0; i < ring.size(); i += 2)
      points.push_back({ring[i].get<double>(), ring[i + 1].get<double>()});
  }
  return out;
}

Json to_value(const Outline& outline) {
  return list_of(outline, [](const std::vector<Vec>& ring) {
    Json j = Json::array();
    for (const Vec p : ring) j.push_back(p.x), j.push_back(p.y);
    return j;
  });
}

Json to_value(const Place& p) {
  Json j;
  j["copy"] = p.copy;
  j["sheet"] = p.sheet;
  j["turn_deg"] = p.turn_deg;
  j["at_mm"] = numbers({p.at.x, p.at.y});
  if (p.pinned) j["pinned"] = true;
  keep(j, p.unknown);
  return j;
}

}  // namespace

LaySettings read_laying(const Json& json, const std::string& where) {
  Fields f(json, where);
  LaySettings out;
  f.number("gap_mm", out.gap_mm, 0, 1000);
  f.number("turn_step_deg", out.turn_step_deg, 0, 180);
  f.number("bleed_mm", out.bleed_mm, 0, 50);
  f.text("number_tool", out.number_tool);
  f.boolean("top_first", out.top_first);
  out.unknown = f.unknown();
  return out;
}

ShelfItem read_shelf_item(const Json& json, const std::string& where) {
  Fields f(json, where);
  ShelfItem item;
  f.integer("id", item.id, 1, kMostIds);
  f.text("stock", item.stock);
  double size[2] = {0, 0};
  f.numbers("size_mm", size);
  if (!(size[0] > 0 && size[1] > 0 && std::max(size[0], size[1]) <= kFarthestMm)) f.bad("size_mm", {"want-size"});
  item.width_mm = size[0], item.height_mm = size[1];
  if (f.find("count")) f.integer("count", item.count.emplace(), 0, kMostIds);
  if (const Json* outline = f.find("outline_mm")) item.outline = read_outline(*outline, f.name_of("outline_mm"));
  f.text("from", item.from);
  f.number("price", item.price, 0, 1e6);
  item.unknown = f.unknown();
  return item;
}

PartRecord read_part(const Json& json, const std::string& where) {
  Fields f(json, where);
  PartRecord part;
  f.integer("piece", part.key.piece, 0, kMostIds);
  f.text("line", part.key.line);
  int contour = 0;
  f.integer("contour", contour, 0, 100'000'000);
  part.key.contour = static_cast<std::size_t>(contour);
  double centre[2] = {0, 0};
  f.numbers("centre_mm", centre);
  part.centre = near(f, "centre_mm", {centre[0], centre[1]});
  f.number("area_mm2", part.area_mm2, 0, kFarthestMm * kFarthestMm);
  f.integer("copies", part.copies, 1, kMostCopies);
  f.integer("together", part.together, 0, kMostIds);
  for (const auto& [name, list] : {std::pair{"not_now", &part.not_now}, {"in_place", &part.in_place}}) {
    f.list(name, [into = list](const Json& value, const std::string& at) {
      if (!value.is_number_integer() || value.get<std::int64_t>() < 1 || value.get<std::int64_t>() > kMostCopies)
        throw BadField{at, {"want-copy"}};
      into->push_back(value.get<int>());
    });
    std::sort(list->begin(), list->end());
  }
  f.list("places", [&](const Json& value, const std::string& at) {
    Fields g(value, at);
    Place place;
    g.integer("copy", place.copy, 1, kMostCopies);
    g.integer("sheet", place.sheet, 0, kMostIds);
    g.number("turn_deg", place.turn_deg, -360, 360);
    double to[2] = {0, 0};
    g.numbers("at_mm", to);
    place.at = near(g, "at_mm", {to[0], to[1]});
    g.boolean("pinned", place.pinned);
    place.unknown = g.unknown();
    for (const auto& other : part.places) {
      if (other.copy == place.copy) g.bad("copy", {"copy-placed"});
    }
    part.places.push_back(std::move(place));
  });
  part.unknown = f.unknown();
  return part;
}

Sheet read_sheet(const Json& json, const std::string& where) {
  Fields f(json, where);
  Sheet sheet;
  f.integer("id", sheet.id, 1, kMostIds);
  f.text("stock", sheet.stock);
  f.integer("load", sheet.load, 1, 1000);
  double a[4] = {0, 0, 304.8, 304.8};
  f.numbers("area_mm", a);
  for (const double v : a) {
    if (std::abs(v) > kFarthestMm) f.bad("area_mm", too_far());
  }
  if (!(a[2] > 0 && a[3] > 0)) f.bad("area_mm", {"want-size"});
  sheet.area = Box::of(a[0], a[1], a[2], a[3]);
  double window[2] = {a[0], a[1]};  // version 1: the mat was the figure
  f.numbers("window_mm", window);
  sheet.window = near(f, "window_mm", {window[0], window[1]});
  if (const Json* outline = f.find("outline_mm")) sheet.outline = read_outline(*outline, f.name_of("outline_mm"));
  f.integer("shelf", sheet.shelf, 0, kMostIds);
  f.boolean("not_now", sheet.not_now);
  f.boolean("printed", sheet.printed);
  sheet.unknown = f.unknown();
  return sheet;
}

Json to_value(const Sheet& s) {
  Json j;
  j["id"] = s.id;
  j["stock"] = s.stock;
  j["load"] = s.load;
  j["area_mm"] = numbers({s.area.x0, s.area.y0, s.area.width(), s.area.height()});
  j["window_mm"] = numbers({s.window.x, s.window.y});
  if (!s.outline.empty()) j["outline_mm"] = to_value(s.outline);
  if (s.shelf != 0) j["shelf"] = s.shelf;
  if (s.not_now) j["not_now"] = true;
  if (s.printed) j["printed"] = true;
  keep(j, s.unknown);
  return j;
}

Json to_value(const LaySettings& s) {
  Json j;
  j["gap_mm"] = s.gap_mm;
  j["turn_step_deg"] = s.turn_step_deg;
  if (s.bleed_mm != LaySettings{}.bleed_mm) j["bleed_mm"] = s.bleed_mm;
  if (!s.number_tool.empty()) j["number_tool"] = s.number_tool;
  if (s.top_first) j["top_first"] = true;
  keep(j, s.unknown);
  return j;
}

Json to_value(const ShelfItem& s) {
  Json j;
  j["id"] = s.id;
  j["stock"] = s.stock;
  j["size_mm"] = numbers({s.width_mm, s.height_mm});
  if (s.count) j["count"] = *s.count;
  if (!s.outline.empty()) j["outline_mm"] = to_value(s.outline);
  if (!s.from.empty()) j["from"] = s.from;
  if (s.price != 0) j["price"] = s.price;
  keep(j, s.unknown);
  return j;
}

Json to_value(const PartRecord& p) {
  Json j;
  j["piece"] = p.key.piece;
  j["line"] = p.key.line;
  j["contour"] = p.key.contour;
  j["centre_mm"] = numbers({p.centre.x, p.centre.y});
  j["area_mm2"] = p.area_mm2;
  j["copies"] = p.copies;
  j["places"] = list_of(p.places, [](const Place& place) { return to_value(place); });
  if (p.together != 0) j["together"] = p.together;
  if (!p.not_now.empty()) j["not_now"] = p.not_now;
  if (!p.in_place.empty()) j["in_place"] = p.in_place;
  keep(j, p.unknown);
  return j;
}

}  // namespace dotlane
