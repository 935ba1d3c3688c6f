#include "core/project/alike.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <set>

namespace dotlane {
namespace {

bool has(const std::vector<LineRef>& selected, int piece, const std::string& line) {
  return std::any_of(selected.begin(), selected.end(),
                     [&](const LineRef& ref) { return ref.piece == piece && (ref.line.empty() || ref.line == line); });
}

bool has(const std::vector<LineRef>& selected, int piece) {
  return std::any_of(selected.begin(), selected.end(), [&](const LineRef& ref) { return ref.piece == piece; });
}

template <class Key>
std::vector<LineRef> lines_alike(const Drawing& drawing, const std::vector<LineRef>& selected, Key key) {
  std::set<decltype(key(std::declval<const Line&>()))> wanted;
  for (const auto& piece : drawing.pieces) {
    for (const auto& line : piece->piece->lines) {
      if (has(selected, piece->piece->id, line.id)) wanted.insert(key(line));
    }
  }
  std::vector<LineRef> out;
  for (const auto& piece : drawing.pieces) {
    for (const auto& line : piece->piece->lines) {
      if (wanted.contains(key(line))) out.push_back({piece->piece->id, line.id});
    }
  }
  return out;
}

}  // namespace

std::vector<LineRef> alike(const Drawing& drawing, const std::vector<LineRef>& selected, Alike how) {
  switch (how) {
    case Alike::color:
      return lines_alike(drawing, selected, [](const Line& line) { return line.color; });
    case Alike::role:
      return lines_alike(drawing, selected, [](const Line& line) { return line.role; });
    case Alike::tool:
      return lines_alike(drawing, selected, [](const Line& line) { return line.tool; });
    case Alike::stock:
    case Alike::size:
      break;
  }
  std::set<std::string> stocks;
  std::vector<Vec> sizes;
  for (const auto& piece : drawing.pieces) {
    if (!has(selected, piece->piece->id)) continue;
    stocks.insert(piece->piece->stock);
    sizes.push_back(own_size(*piece));
  }
  std::vector<LineRef> out;
  for (const auto& piece : drawing.pieces) {
    const Vec size = own_size(*piece);
    const bool like = how == Alike::stock
                          ? stocks.contains(piece->piece->stock)
                          : std::any_of(sizes.begin(), sizes.end(), [&](Vec other) {
                              return std::abs(size.x - other.x) <= kAsLarge && std::abs(size.y - other.y) <= kAsLarge;
                            });
    if (like) out.push_back({piece->piece->id, ""});
  }
  return out;
}

std::vector<LineRef> all_but(const Drawing& drawing, const std::vector<LineRef>& selected) {
  const bool lines = !selected.empty() && std::none_of(selected.begin(), selected.end(),
                                                       [](const LineRef& ref) { return ref.line.empty(); });
  std::vector<LineRef> out;
  for (const auto& piece : drawing.pieces) {
    const int id = piece->piece->id;
    if (!lines) {
      if (!has(selected, id)) out.push_back({id, ""});
      continue;
    }
    if (!has(selected, id)) continue;
    for (const auto& line : piece->piece->lines) {
      if (!has(selected, id, line.id)) out.push_back({id, line.id});
    }
  }
  return out;
}

}  // namespace dotlane
