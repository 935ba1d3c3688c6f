#include "core/layout/fill_anew.hpp"

#include <algorithm>
#include <set>
#include <tuple>

#include "core/latest.hpp"
#include "core/shape/fill/fill_made.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kRemembered = 40,
                      kMostRemembered = 20'000;  // parts, of so many strokes at most: larger ones are made each time

/// The lines with the strokes of each coat; nothing where they are no longer the strokes of the step.
std::vector<std::size_t> coat_lines(const DrawnPiece& piece) {
  if (piece.outcomes.empty()) return {};
  const FillMade* made = piece.outcomes.back().fill.get();
  if (!made || !made->on_mat) return {};
  std::vector<std::size_t> out;
  for (std::size_t coat = 0; coat < made->coats.size(); ++coat) {
    for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) {
      const Line& line = piece.piece->lines[i];
      if (line.id != made->lines[coat] || !(line.at == Affine{}) ||
          line.path->contours.size() != made->coats[coat].size())
        continue;
      out.push_back(i);
    }
  }
  return out.size() == made->coats.size() ? out : std::vector<std::size_t>{};
}

}  // namespace

bool follows_the_mat(const DrawnPiece& piece) { return !coat_lines(piece).empty(); }

std::optional<std::vector<FilledAnew>> filled_anew(const DrawnPiece& piece, const std::vector<std::vector<bool>>& here,
                                                   double turned) {
  const auto lines = coat_lines(piece);
  if (lines.empty()) return std::nullopt;
  const std::shared_ptr<const FillMade> made = piece.outcomes.back().fill;
  // The shapes all of whose strokes are here.
  std::set<std::uint32_t> shapes, elsewhere;
  for (std::size_t coat = 0; coat < lines.size(); ++coat) {
    for (std::size_t c = 0; c < made->coats[coat].size(); ++c)
      (here[lines[coat]][c] ? shapes : elsewhere).insert(made->coats[coat].part(c));
  }
  if (shapes.empty() ||
      std::any_of(shapes.begin(), shapes.end(), [&](std::uint32_t shape) { return elsewhere.contains(shape); }))
    return std::nullopt;
  using Key = std::tuple<std::shared_ptr<const FillMade>, std::set<std::uint32_t>, double>;
  static Latest<Key, std::shared_ptr<const std::vector<FilledAnew>>> latest{kRemembered};
  Key key{made, shapes, turned};
  if (const auto known = latest.find(key)) return **known;
  const auto all = parts_of(made->region);
  std::vector<Region> regions;
  for (const std::uint32_t shape : shapes) {
    if (shape < all.size()) regions.push_back(all[shape]);
  }
  const Region region = unite(regions);
  FillOptions options = made->options;
  options.angle -= turned;
  auto out = std::make_shared<std::vector<FilledAnew>>();
  for (std::size_t coat = 0; coat < lines.size(); ++coat) {
    const auto strokes = fill(region, options, static_cast<int>(coat));
    if (!strokes) return std::nullopt;
    FilledAnew& anew = out->emplace_back();
    anew.line = lines[coat];
    Path path = stroke_path(*strokes, false);
    std::vector<Polyline> polylines;
    for (const auto& contour : path.contours) {
      polylines.push_back(flatten(contour, 0.01));
      for (const Vec p : polylines.back().points) anew.bounds.add(p);
    }
    anew.path = std::move(path);
    anew.polylines = std::move(polylines);
  }
  std::size_t strokes = 0;
  for (const auto& anew : *out) strokes += anew.polylines->size();
  if (strokes <= kMostRemembered) latest.keep(std::move(key), out);
  return *out;
}

}  // namespace dotlane
