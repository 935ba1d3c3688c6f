#include "core/layout/pack/pose.hpp"

#include <algorithm>

namespace dotlane::pack {
namespace {

constexpr double kOutline = 0.002;  // mm: halos are thinned this much, and grown by twice as much

Region thinned_region(const Region& region) {
  Region out;
  for (const auto& ring : region.rings) {
    Ring r = thinned(ring, kOutline);
    if (r.size() >= 3) out.rings.push_back(std::move(r));
  }
  return out;
}

Pose pose_of(const Region& shape, const Region& halo, double turn, double cell) {
  Pose pose;
  pose.turn = turn;
  pose.turns = {turn};
  const Affine map = Affine::rotate(-turn);
  const Region body = transformed(shape, map);
  const Box box = bounds_of(body);
  pose.corner = {box.x0, box.y0};
  pose.body = cells_of(body, pose.corner, cell);
  pose.halo = cells_of(transformed(halo, map), pose.corner, cell);
  pose.body_layers = Layers(pose.body);
  pose.halo_layers = Layers(pose.halo);
  pose.rim = rim_of(pose.body);
  for (const Run& r : pose.body)
    pose.width = std::max(pose.width, r.to + 1), pose.height = std::max(pose.height, r.row + 1);
  for (const Run& r : pose.rim) pose.rim_cells += r.to - r.from + 1;
  for (const Run& r : pose.body) {
    if (r.row % kEvery == 0 || r.row + 1 == pose.height) pose.some.push_back(r);
  }
  for (auto* runs : {&pose.body, &pose.some}) {
    std::stable_sort(runs->begin(), runs->end(),
                     [](const Run& a, const Run& b) { return a.to - a.from > b.to - b.from; });
  }
  return pose;
}

}  // namespace

Shape shape_of(const Region& region, const std::vector<double>& turns, double gap, double cell) {
  Shape shape;
  shape.area = area_of(region);
  const Region halo = thinned_region(offset(region, gap + 2 * kOutline, {Corners::round, 4, kOutline}));
  for (const double turn : turns) {
    Pose pose = pose_of(region, halo, turn, cell);
    const auto same = std::find_if(shape.poses.begin(), shape.poses.end(),
                                   [&](const Pose& p) { return p.body == pose.body && p.halo == pose.halo; });
    if (same == shape.poses.end()) {
      shape.poses.push_back(std::move(pose));
    } else {
      same->turns.push_back(turn);
    }
  }
  return shape;
}

}  // namespace dotlane::pack
