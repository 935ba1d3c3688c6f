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

/// What stays of a course of lines when it is moved, turned, mirrored and sized: its moments about its middle, the
/// length as weight and as unit.
struct ShapeSign {
  double large = 0, small = 0, fourth = 0;  // spread along its main axes, and how much of it lies far out
  std::size_t contours = 0;
  [[nodiscard]] bool like(const ShapeSign& other) const {
    const auto near = [](double a, double b) { return std::abs(a - b) <= kAlikeShape * std::max(a, b) + 1e-9; };
    return contours == other.contours && near(large, other.large) && near(small + large, other.small + other.large) &&
           near(fourth, other.fourth);
  }
};

class ShapeSum {
 public:
  void add(const DrawnPiece& piece, std::size_t line) {
    for (std::size_t c = 0; c < piece.flat->lines[line].polylines->size(); ++c)
      courses_.push_back(piece.course(line, c));
  }
  [[nodiscard]] ShapeSign sign() const {
    double length = 0;
    Vec sum{};
    each([&](Vec at, double weight) { length += weight, sum = sum + at * weight; });
    ShapeSign out;
    out.contours = courses_.size();
    if (length <= 0) return out;
    const Vec middle = sum * (1 / length);
    double xx = 0, yy = 0, xy = 0, fourth = 0;
    each([&](Vec at, double weight) {
      const Vec d = (at - middle) * (1 / length);
      xx += d.x * d.x * weight, yy += d.y * d.y * weight, xy += d.x * d.y * weight;
      fourth += dot(d, d) * dot(d, d) * weight;
    });
    xx /= length, yy /= length, xy /= length;
    const double mean = (xx + yy) / 2, off = std::hypot((xx - yy) / 2, xy);
    out.large = mean + off, out.small = mean - off, out.fourth = fourth / length;
    return out;
  }

 private:
  /// Simpson's rule on each straight stretch: exact for the second moments.
  template <class Each>
  void each(Each&& visit) const {
    for (const auto& course : courses_) {
      for (std::size_t i = 1; i < course.points.size(); ++i) {
        const Vec a = course.points[i - 1], b = course.points[i];
        const double length = distance(a, b);
        visit(a, length / 6), visit(lerp(a, b, 0.5), length * 4 / 6), visit(b, length / 6);
      }
    }
  }
  std::vector<Polyline> courses_;
};

ShapeSign sign_of(const DrawnPiece& piece) {
  ShapeSum sum;
  for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) sum.add(piece, i);
  return sum.sign();
}

ShapeSign sign_of(const DrawnPiece& piece, std::size_t line) {
  ShapeSum sum;
  sum.add(piece, line);
  return sum.sign();
}

std::vector<LineRef> shaped_alike(const Drawing& drawing, const std::vector<LineRef>& selected) {
  std::vector<ShapeSign> pieces, lines;
  for (const auto& piece : drawing.pieces) {
    const int id = piece->piece->id;
    if (std::find(selected.begin(), selected.end(), LineRef{id, ""}) != selected.end())
      pieces.push_back(sign_of(*piece));
    for (std::size_t i = 0; i < piece->piece->lines.size(); ++i) {
      if (std::find(selected.begin(), selected.end(), LineRef{id, piece->piece->lines[i].id}) != selected.end())
        lines.push_back(sign_of(*piece, i));
    }
  }
  const auto among = [](const std::vector<ShapeSign>& wanted, const ShapeSign& sign) {
    return std::any_of(wanted.begin(), wanted.end(), [&](const ShapeSign& w) { return w.like(sign); });
  };
  std::vector<LineRef> out;
  for (const auto& piece : drawing.pieces) {
    if (!pieces.empty() && among(pieces, sign_of(*piece))) {
      out.push_back({piece->piece->id, ""});
      continue;
    }
    for (std::size_t i = 0; i < piece->piece->lines.size() && !lines.empty(); ++i) {
      if (among(lines, sign_of(*piece, i))) out.push_back({piece->piece->id, piece->piece->lines[i].id});
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
    case Alike::shape:
      return shaped_alike(drawing, selected);
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
