#include "core/layout/placing.hpp"

#include <algorithm>
#include <map>

#include "core/shape/evaluate.hpp"

namespace dotlane {
namespace {

constexpr double kSame = 1e-3;     // of a part's size: it has not moved in its piece
constexpr double kMostUnlike = 2;  // see unlikeness(): about one size away, or four times as large

/// The upright frame of the part's piece in the figure, without its size.
Affine frame_in_figure(const Drawing& drawing, const Part& part) {
  return frame_of(find_drawn(drawing, part.key.piece)->map).to_figure;
}

/// How little a part is like what is remembered: distance in sizes of the part, and the ratio of areas.
double unlikeness(Vec centre, double area, double size, const PartRecord& record) {
  const double ratio = (area + 1) / (record.area_mm2 + 1);
  return distance(centre, record.centre) / size + std::abs(std::log2(ratio));
}

}  // namespace

Affine map_of(const Drawing& drawing, const Part& part, const Place& place, const Sheet& sheet) {
  const double turn = place.turn_deg - turn_of(frame_in_figure(drawing, part));
  return Affine::move(sheet.area.x0 + place.at.x, sheet.area.y0 + place.at.y) * Affine::rotate(-turn) *
         Affine::move(-part.centre.x, -part.centre.y);
}

Place place_of(const Drawing& drawing, const Part& part, const Affine& map, const Sheet& sheet) {
  Place place;
  place.sheet = sheet.id;
  const auto even = [](double v) { return std::round(v * 1e9) / 1e9; };  // without the dust of reckoning
  place.turn_deg = even(turn_of(map * frame_in_figure(drawing, part)));
  if (place.turn_deg == -180) place.turn_deg = 180;
  const Vec at = map(part.centre) - Vec{sheet.area.x0, sheet.area.y0};
  place.at = {even(at.x), even(at.y)};
  return place;
}

PartRecord record_of(const Drawing& drawing, const Part& part) {
  PartRecord record;
  record.key = part.key;
  record.centre = frame_in_figure(drawing, part).inverse()(part.centre);
  record.area_mm2 = part.area_mm2;
  return record;
}

std::vector<std::size_t> match(const Drawing& drawing, const std::vector<Part>& parts,
                               const std::vector<PartRecord>& records) {
  std::vector<std::size_t> out(parts.size(), npos);
  if (records.empty()) return out;
  std::map<int, std::vector<std::size_t>> of_piece;
  for (std::size_t r = 0; r < records.size(); ++r) of_piece[records[r].key.piece].push_back(r);
  struct Pair {
    double unlike;
    bool other_key;
    std::size_t part, record;
    auto rank() const { return std::tuple(unlike, other_key, part, record); }
  };
  std::vector<bool> taken(records.size());
  // The best pairs first, each part and each record once.
  const auto settle = [&](std::vector<Pair> pairs) {
    std::sort(pairs.begin(), pairs.end(), [](const Pair& a, const Pair& b) { return a.rank() < b.rank(); });
    for (const Pair& p : pairs) {
      if (out[p.part] != npos || taken[p.record]) continue;
      out[p.part] = p.record;
      taken[p.record] = true;
    }
  };
  std::vector<Pair> same, by_key, near;
  for (std::size_t i = 0; i < parts.size(); ++i) {
    const auto known = of_piece.find(parts[i].key.piece);
    if (known == of_piece.end()) continue;
    const Vec centre = record_of(drawing, parts[i]).centre;
    const Box bounds = parts[i].bounds();
    const double size = std::max({bounds.width(), bounds.height(), 1.0});
    for (const std::size_t r : known->second) {
      const bool same_key = records[r].key == parts[i].key;
      const double unlike = unlikeness(centre, parts[i].area_mm2, size, records[r]);
      if (unlike < kSame) same.push_back({same_key ? 0 : unlike, !same_key, i, r});
      if (same_key) by_key.push_back({0, false, i, r});
      if (unlike < kMostUnlike) near.push_back({unlike, !same_key, i, r});
    }
  }
  settle(std::move(same));
  settle(std::move(by_key));
  settle(std::move(near));
  return out;
}

std::vector<PartRecord> remembered(const Project& project, const Drawing& drawing, const std::vector<Part>& parts) {
  std::vector<PartRecord> out = project.parts;
  // Another part may bear the key of one that is gone.
  for (auto& r : out) r.key.line.clear(), r.key.contour = 0;
  const auto record = match(drawing, parts, project.parts);
  for (std::size_t i = 0; i < parts.size(); ++i) {
    if (record[i] == npos) continue;
    const PartRecord now = record_of(drawing, parts[i]);
    PartRecord& kept = out[record[i]];
    kept.key = now.key, kept.centre = now.centre, kept.area_mm2 = now.area_mm2;
  }
  std::erase_if(out, [&](const PartRecord& r) { return !find_piece(project, r.key.piece); });
  return out;
}

}  // namespace dotlane
