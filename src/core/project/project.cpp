#include "core/project/project.hpp"

#include <algorithm>

#include "core/project/ids.hpp"

namespace dotlane {

std::string_view word(ToolKind kind) {
  switch (kind) {
    case ToolKind::blade:
      return "blade";
    case ToolKind::scoring_tip:
      return "scoring tip";
    case ToolKind::pen:
      return "pen";
    case ToolKind::pencil:
      return "pencil";
    case ToolKind::chisel_marker:
      return "chisel marker";
    case ToolKind::foil_tip:
      return "foil tip";
    case ToolKind::engraving_tip:
      return "engraving tip";
    case ToolKind::embossing_tip:
      return "embossing tip";
    case ToolKind::stippling_point:
      return "stippling point";
    case ToolKind::other:
      break;
  }
  return "other";
}

std::optional<ToolKind> tool_kind_from(std::string_view text) {
  for (const ToolKind kind : kToolKinds) {
    if (text == word(kind)) return kind;
  }
  return std::nullopt;
}

std::string_view word(Tack tack) {
  switch (tack) {
    case Tack::low:
      return "low";
    case Tack::high:
      return "high";
    case Tack::medium:
      break;
  }
  return "medium";
}

Path placed_path(const Line& line) { return line.at == Affine{} ? *line.path : transformed(*line.path, line.at); }

namespace {

template <class Range, class Match>
auto* first_of(Range& range, Match match) {
  const auto found = std::find_if(range.begin(), range.end(), match);
  return found == range.end() ? nullptr : &*found;
}

}  // namespace

const Piece* find_piece(const Project& project, int id) {
  const auto found = find_id(project.pieces, id, [](const Shared<Piece>& p) { return p->id; });
  return found == project.pieces.end() ? nullptr : &**found;
}

const Tool* find_tool(const Project& project, const std::string& id) {
  return first_of(project.tools, [&](const Tool& t) { return t.id == id; });
}

const Stock* find_stock(const Project& project, const std::string& id) {
  return first_of(project.stocks, [&](const Stock& s) { return s.id == id; });
}

const Sheet* find_sheet(const Project& project, int id) {
  return first_of(project.sheets, [&](const Sheet& s) { return s.id == id; });
}

const Sheet* first_sheet(const Project& project, const std::string& stock) {
  return first_of(project.sheets, [&](const Sheet& s) { return s.stock == stock; });
}

Vec sheet_room(const Project& project, const std::string& stock) {
  const Box usable = project.machine.usable_area();
  Vec best;
  const auto consider = [&](double width, double height) {
    width = std::min(width, usable.width()), height = std::min(height, usable.height());
    if (width * height > best.x * best.y) best = {width, height};
  };
  for (const auto& item : project.shelf) {
    if (item.stock == stock && item.count != 0) consider(item.width_mm, item.height_mm);
  }
  if (best == Vec{}) {
    for (const auto& sheet : project.sheets) {
      if (sheet.stock != stock) continue;
      const Box both = common(usable, sheet.area);
      consider(both.width(), both.height());
    }
  }
  return best == Vec{} ? Vec{usable.width(), usable.height()} : best;
}

bool serves(const Tool& tool, Role role) {
  return std::find(tool.serves.begin(), tool.serves.end(), role) != tool.serves.end();
}

Vec home_of(const Machine& machine) { return {0, machine.mat.height_mm}; }

Affine reached(const Machine& machine) {
  const Vec home = home_of(machine);
  return Affine::move(home.x + machine.origin_mm.x, home.y + machine.origin_mm.y) *
         Affine::scale(machine.scale.x, machine.scale.y) * Affine::move(-home.x, -home.y);
}

Pace pace_of(const Machine& machine, Role role) {
  const auto said = machine.pace.find(role);
  return said == machine.pace.end() ? Pace{} : said->second;
}

Setting setting_for(const Stock& stock, Role role) {
  const auto own = stock.settings.find(role);
  if (own != stock.settings.end()) return own->second;
  switch (role) {
    case Role::cut:
      return {120, 60, 3, 1};
    case Role::score:
      return {100, 60, 0, 1};
    case Role::foil:
      return {80, 25, 0, 1};
    case Role::engrave:
      return {150, 25, 0, 1};
    case Role::emboss:
      return {140, 40, 0, 1};
    default:
      return {40, 90, 0, 1};
  }
}

}  // namespace dotlane
