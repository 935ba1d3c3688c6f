#include "core/project/stock_colors.hpp"

#include <algorithm>
#include <map>

#include "core/color_space.hpp"
#include "core/project/edit.hpp"

namespace dotlane {

std::vector<NearColors> near_colors(const Project& project, double within) {
  std::map<Color, std::size_t> counts;
  for (const auto& piece : project.pieces) {
    for (const auto& line : piece->lines) ++counts[line.color];
  }
  std::vector<NearColors> out;
  for (auto a = counts.begin(); a != counts.end(); ++a) {
    for (auto b = std::next(a); b != counts.end(); ++b) {
      const double d = difference(a->first, b->first);
      if (d >= within) continue;
      const bool first = a->second >= b->second;
      out.push_back({first ? a->first : b->first, first ? b->first : a->first, d, first ? b->second : a->second});
    }
  }
  std::sort(out.begin(), out.end(),
            [](const NearColors& a, const NearColors& b) { return a.difference < b.difference; });
  return out;
}

Project unite_colors(Project project, const std::vector<NearColors>& pairs) {
  std::map<Color, Color> to;
  auto last = [&](Color c) {
    while (to.contains(c)) c = to[c];
    return c;
  };
  for (const auto& pair : pairs) {
    const Color keep = last(pair.keep), other = last(pair.other);
    if (!(keep == other)) to[other] = keep;
  }
  for (std::size_t i = 0; i < project.pieces.size(); ++i) {
    Piece piece = *project.pieces[i];
    bool changed = false;
    for (auto& line : piece.lines) {
      const Color color = last(line.color);
      if (color == line.color) continue;
      line.color = color;
      if (line.role == Role::draw) line.tool = choose_tool(project, line.role, color, piece.stock);
      changed = true;
    }
    if (changed) project.pieces[i] = std::move(piece);
  }
  return project;
}

Project colors_to_stock(Project project, int id) {
  const Piece* whole = find_piece(project, id);
  if (!whole || whole->lines.empty()) return project;
  constexpr double kSame = 10;
  const std::string name = whole->name;
  for (const int part : split_piece(project, id, [](const Line& line) { return hex(line.color); })) {
    const Piece* piece = find_piece(project, part);
    const Color color = piece->lines.front().color;
    const Stock* best = nullptr;
    for (const auto& stock : project.stocks) {
      if (!best || difference(stock.color, color) < difference(best->color, color)) best = &stock;
    }
    std::string stock_id = best && difference(best->color, color) <= kSame ? best->id : "";
    if (stock_id.empty()) {
      Stock like = find_stock(project, piece->stock) ? *find_stock(project, piece->stock) : Stock{};
      like.color = color;
      like.id = "card-" + hex(color).substr(1);
      like.name = like.name.empty() ? "Card " + hex(color) : like.name + " " + hex(color);
      stock_id = like.id;
      if (!find_stock(project, like.id)) project.stocks.push_back(std::move(like));
    }
    project = rename_piece(std::move(project), part, name + " " + hex(color));
    project = set_stock(std::move(project), part, stock_id);
  }
  return project;
}

}  // namespace dotlane
