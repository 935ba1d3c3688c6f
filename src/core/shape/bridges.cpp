#include "core/shape/bridges.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <deque>
#include <limits>
#include <map>
#include <numbers>
#include <numeric>
#include <optional>
#include <set>

#include "core/shape/fill/scan.hpp"

namespace dotlane {
namespace {

constexpr int kLines = 4;        // scan lines in a width
constexpr double kOver = 0.05;   // mm that a strip may reach into the material at both ends, at least,
constexpr double kPast = 0.02;   // and that it does
constexpr double kOtherWay = 3;  // how much more a bridge of another direction costs
constexpr double kAskew = 2;     // and one that is not square on its edges, by how much that is of its width,
constexpr double kBeside = 2;    // and one beside the middle of its island, at the island's edge,
constexpr double kNeck = 3;      // and one whose material behind is thinner than twice its width
constexpr std::array kNarrower{1.0, 0.7, 0.5, 0.3, 0.2, 0.1};  // of the width asked for, where none is found
constexpr double kLopsided = 10;                               // and one that makes what is symmetric lopsided
constexpr double kAlike = 0.02;       // share of the area that may differ in what is called symmetric
constexpr double kOnAxis = 0.02;      // of its width that an island may lie beside the axis
constexpr double kInRow = 0.15;       // of its height that an island's bridges leave its middle, to be at one height
constexpr double kOutOfRow = 1.5;     // how much more one costs that is not
constexpr double kOwnRoom = 0.25;     // of an island's size around a place that is to have no bridge
constexpr double kApart = 100;        // degrees around an island between two bridges, where it has two
constexpr double kApartFromSet = 80;  // and where hands have set one
constexpr std::size_t kMostLines = 3000;  // in a direction: more would take longer than a person notices

double degrees(double radians) { return radians * 180 / std::numbers::pi; }

struct Candidate {
  std::size_t a = 0, b = 0;  // rings of the part
  double angle = 0, cost = 0, width = 0, length = 0;
  double across = 0, from = 0, to = 0;  // of the strip, in the frame that is turned by the angle
  Vec at_a, at_b;                       // where it ends
};

/// One part of the openings: its outline and its islands.
class Part {
 public:
  Part(const Region& region, const BridgeOptions& options, std::vector<std::size_t> set,
       const std::map<double, double>& rows)
      : options_(options), region_(region), set_(std::move(set)), rows_(rows) {
    for (const auto& ring : region.rings) {
      Box box;
      for (const Vec p : ring) box.add(p);
      boxes_.push_back(box);
    }
    const double axis = boxes_[0].x0 + boxes_[0].x1;
    const Region mirrored = transformed(region, Affine::move(axis, 0) * Affine::scale(-1, 1));
    symmetric_ = area_of(subtract(region, mirrored)) + area_of(subtract(mirrored, region)) < kAlike * area_of(region);
  }

  Bridged run() {
    Bridged out;
    const bool shortest = options_.way == BridgeOptions::Way::shortest;
    const double first = options_.way == BridgeOptions::Way::level ? 0 : 90;
    for (const double share : kNarrower) {
      look_along(first, share, 1);
      look_along(90 - first, share, shortest ? 1 : kOtherWay);
      if (!shortest && all_tied()) break;
      for (double angle = 15; angle < 180; angle += 15) {
        if (angle != 90) look_along(angle, share, shortest ? 1 : 2 * kOtherWay);
      }
      if (all_tied()) break;
    }
    std::stable_sort(all_.begin(), all_.end(), [](const auto& x, const auto& y) { return x.cost < y.cost; });
    for (const std::size_t i : set_) {
      if (auto c = across(options_.set[i])) by_hand_.emplace_back(*c, i);
    }
    choose();
    for (const Candidate* c : chosen_) {
      auto bridge = built(*c);
      if (!bridge) continue;
      for (const auto& [own, i] : by_hand_) {
        if (&own == c) bridge->set = i;
      }
      out.bridges.push_back(std::move(*bridge));
    }
    return out;
  }

 private:
  using Ties = std::vector<std::size_t>;  // union-find over rings

  static std::size_t root(Ties& ties, std::size_t i) {
    while (ties[i] != i) i = ties[i] = ties[ties[i]];
    return i;
  }
  [[nodiscard]] Ties untied() const {
    Ties out(region_.rings.size());
    std::iota(out.begin(), out.end(), std::size_t{0});
    return out;
  }
  bool all_tied() const {
    Ties ties = untied();
    std::size_t left = ties.size();
    for (const auto& c : all_) {
      const std::size_t a = root(ties, c.a), b = root(ties, c.b);
      if (a != b) ties[a] = b, --left;
    }
    return left == 1;
  }
  [[nodiscard]] double extent(std::size_t ring) const { return std::max(boxes_[ring].width(), boxes_[ring].height()); }
  [[nodiscard]] int wanted(std::size_t ring) const {
    if (ring == 0) return 0;
    if (options_.per_island > 0) return options_.per_island;
    return extent(ring) >= options_.four_from_mm ? 4 : extent(ring) >= options_.two_from_mm ? 2 : 1;
  }

  /// All straight strips across the part in this direction that tie one ring to another, this share of the width
  /// asked for wide.
  void look_along(double angle, double share, double factor) {
    const double least_width = share * options_.width_mm;
    FillArea area;
    area.rings = region_.rings;
    area.part_of.assign(area.rings.size(), 0);
    area.parts = 1;
    const Box box = bounds_of(region_);
    const double spacing =
        std::max(least_width / kLines, std::hypot(box.width(), box.height()) / static_cast<double>(kMostLines));
    const Scan scan(area, angle, spacing, 0);
    // How far each ring reaches across the lines, and where its middle is taken to be.
    std::vector<double> least(region_.rings.size(), 1e300), most(region_.rings.size(), -1e300);
    for (std::uint32_t c = 0; c < scan.corners().size(); ++c) {
      const std::uint32_t ring = scan.ring_of(c);
      least[ring] = std::min(least[ring], scan.corners()[c].line);
      most[ring] = std::max(most[ring], scan.corners()[c].line);
    }
    std::vector<double> middles(region_.rings.size());
    for (std::size_t ring = 0; ring < middles.size(); ++ring) {
      middles[ring] = (least[ring] + most[ring]) / 2;
      const auto row = rows_.find(boxes_[ring].centre().y);
      if (angle == 0 && ring != 0 && row != rows_.end())
        middles[ring] += (row->second - row->first) / (scan.at(0, 1).y - scan.at(0, 0).y);
    }
    for (std::size_t line = 0; line < scan.lines(); ++line) {
      for (std::size_t i = scan.start(line); i < scan.start(line + 1); ++i) {
        const Span& span = scan.span(i);
        const std::uint32_t a = scan.ring_of(span.from_edge), b = scan.ring_of(span.to_edge);
        if (a == b) continue;
        const double length = span.to - span.from;
        const double width = share * std::max(options_.width_mm, length / options_.slenderest);
        const auto half = static_cast<std::size_t>(std::ceil(width / 2 / spacing));
        if (line < half || line + half >= scan.lines()) continue;
        Candidate c{a, b, angle, 0, width, length, static_cast<double>(line), span.from, span.to, {}, {}};
        // An island narrower than the bridge is met by some of its lines only; the others pass it by.
        const auto narrow = [&](std::size_t ring) { return ring != 0 && (most[ring] - least[ring]) * spacing < width; };
        const bool narrow_a = narrow(a), narrow_b = narrow(b);
        double longest = length;
        bool whole = true;
        for (std::size_t beside = line - half; beside <= line + half && whole; ++beside) {
          whole = false;
          for (std::size_t k = scan.start(beside); k < scan.start(beside + 1) && !whole; ++k) {
            const Span& s = scan.span(k);
            if (s.from >= span.to || s.to <= span.from) continue;
            const bool to_a = scan.ring_of(s.from_edge) == a, to_b = scan.ring_of(s.to_edge) == b;
            if (to_a) c.from = std::min(c.from, s.from);
            if (to_b) c.to = std::max(c.to, s.to);
            if (to_a && to_b) longest = std::max(longest, s.to - s.from);
            whole = (to_a || (narrow_a && s.from < span.from)) && (to_b || (narrow_b && s.to > span.to));
          }
        }
        if (!whole) continue;
        // It reaches into the middle of such an island, to hold all of it.
        if (narrow_a && i > scan.start(line)) c.from -= (span.from - scan.span(i - 1).to) / 2;
        if (narrow_b && i + 1 < scan.start(line + 1)) c.to += (scan.span(i + 1).from - span.to) / 2;
        double cost = longest * factor / (share * share);
        if (!narrow_a && !narrow_b) cost *= 1 + kAskew * (c.to - c.from - length) / width;
        // Beside the middle of the islands that it holds.
        for (const std::uint32_t ring : {a, b}) {
          if (ring == 0 || most[ring] <= least[ring]) continue;
          if (middles[ring] != (least[ring] + most[ring]) / 2 && std::abs(c.across - middles[ring]) > 0.5)
            cost *= kOutOfRow;
          cost *= 1 + kBeside * std::abs(static_cast<double>(line) - middles[ring]) / ((most[ring] - least[ring]) / 2);
        }
        // What is symmetric is to stay it: upright, in the middle of islands that lie on the axis.
        for (const std::size_t ring : {a, b}) {
          if (ring == 0 || !symmetric_ || options_.way != BridgeOptions::Way::upright) continue;
          const double off = std::abs(boxes_[ring].centre().x - boxes_[0].centre().x);
          const bool upright = angle == 90 && std::abs(c.across - middles[ring]) <= 0.5;
          if (off < kOnAxis * boxes_[0].width() && !upright) cost *= kLopsided;
        }
        // Thin necks behind its ends.
        const bool thin_before = !narrow_a && i > scan.start(line) && span.from - scan.span(i - 1).to < 2 * width;
        const bool thin_behind =
            !narrow_b && i + 1 < scan.start(line + 1) && scan.span(i + 1).from - span.to < 2 * width;
        if (thin_before || thin_behind) cost *= kNeck;
        // Just beside the middle of an island means in the middle: what is symmetric stays so.
        for (const std::uint32_t ring : {a, b}) {
          if (ring != 0 && std::abs(c.across - middles[ring]) <= 0.5) c.across = middles[ring];
        }
        c.cost = cost;
        c.at_a = scan.at(span.from, c.across), c.at_b = scan.at(span.to, c.across);
        all_.push_back(c);
      }
    }
  }

  /// The strip across the opening at this place that is short and stands square on both edges.
  [[nodiscard]] std::optional<Candidate> across(Vec at) const {
    struct End {
      double far = std::numeric_limits<double>::infinity();
      std::size_t ring = 0;
    };
    // Where a ray first meets a ring.
    const auto meets = [&](Vec from, Vec along) {
      End end;
      for (std::size_t ring = 0; ring < region_.rings.size(); ++ring) {
        const Ring& r = region_.rings[ring];
        for (std::size_t i = 0; i < r.size(); ++i) {
          const Vec a = r[i] - from, b = r[(i + 1) % r.size()] - from;
          const double sa = cross(along, a), sb = cross(along, b);
          if ((sa < 0) == (sb < 0)) continue;
          const double far = dot(along, a + (b - a) * (sa / (sa - sb)));
          if (far > 0 && far < end.far) end = {far, ring};
        }
      }
      return end;
    };
    if (!encloses(region_, at)) {  // just inside the edge that is nearest
      Vec edge = region_.rings.front().front();
      for (const auto& ring : region_.rings) {
        for (std::size_t i = 0; i < ring.size(); ++i) {
          const Vec q = nearest_on(ring[i], ring[(i + 1) % ring.size()], at);
          if (distance(q, at) < distance(edge, at)) edge = q;
        }
      }
      const double far = distance(edge, at);
      if (far > 0) at = edge + (edge - at) * (kOver / far);
      if (!encloses(region_, at)) return std::nullopt;
    }
    std::optional<Candidate> best;
    for (double angle = 0; angle < 180; angle += 7.5) {
      const double radians = angle * std::numbers::pi / 180;
      const Vec along{std::cos(radians), -std::sin(radians)}, side{-along.y, along.x};
      const End back = meets(at, along * -1), on = meets(at, along);
      if (!std::isfinite(back.far) || !std::isfinite(on.far)) continue;
      const double length = back.far + on.far, width = std::max(options_.width_mm, length / options_.slenderest);
      Candidate c{back.ring, on.ring, angle, 0, width, length, 0, -back.far, on.far, {}, {}};
      c.at_a = at - along * back.far, c.at_b = at + along * on.far;
      for (const double beside : {-0.5, -0.25, 0.25, 0.5}) {
        const Vec from = at + side * (beside * width);
        const End b = meets(from, along * -1), o = meets(from, along);
        if (!std::isfinite(b.far) || !std::isfinite(o.far)) continue;
        c.from = std::min(c.from, -b.far), c.to = std::max(c.to, o.far);
      }
      c.cost = length * (1 + kAskew * (c.to - c.from - length) / width);
      if (!best || c.cost < best->cost - 1e-9) best = c;
    }
    return best;
  }
  /// The place, of those that are to have no bridge, that this one is at.
  [[nodiscard]] std::optional<std::size_t> barred(const Candidate& c) const {
    double room = 0;
    for (const std::size_t ring : {c.a, c.b}) {
      if (ring != 0) room = room == 0 ? kOwnRoom * extent(ring) : std::min(room, kOwnRoom * extent(ring));
    }
    room = std::max(room, 1.5 * c.width);
    for (std::size_t i = 0; i < options_.none.size(); ++i) {
      if (distance(options_.none[i], nearest_on(c.at_a, c.at_b, options_.none[i])) < room) return i;
    }
    return std::nullopt;
  }

  void take(const Candidate& c) {
    chosen_.push_back(&c);
    held_[c.a].push_back(&c);
    if (c.b != c.a) held_[c.b].push_back(&c);
  }
  /// Whether it keeps away from the others that hold the same.
  [[nodiscard]] bool clear(const Candidate& c) const {
    const auto apart = [&](const Candidate* other) {
      return distance((c.at_a + c.at_b) * 0.5, (other->at_a + other->at_b) * 0.5) >= 3 * (c.width + other->width) / 2;
    };
    return std::all_of(held_[c.a].begin(), held_[c.a].end(), apart) &&
           std::all_of(held_[c.b].begin(), held_[c.b].end(), apart);
  }
  /// The least angle around the ring's middle between this bridge's end and those of the others that hold it.
  [[nodiscard]] double turned_away(std::size_t ring, const Candidate& c) const {
    double least = 360;
    const auto direction = [&](const Candidate& of) {
      const Vec v = (of.a == ring ? of.at_a : of.at_b) - boxes_[ring].centre();
      return degrees(std::atan2(v.y, v.x));
    };
    for (const Candidate* other : held_[ring])
      least = std::min(least, std::abs(std::remainder(direction(c) - direction(*other), 360.0)));
    return least;
  }

  void choose() {
    held_.resize(region_.rings.size());
    Ties ties = untied();
    for (const auto& [c, i] : by_hand_) {
      ties[root(ties, c.a)] = root(ties, c.b);
      take(c);
    }
    std::vector<std::vector<const Candidate*>> of(region_.rings.size());  // by ring, the cheapest first
    std::vector<std::set<std::size_t>> fewer(region_.rings.size());       // places without, by ring
    std::vector<const Candidate*> left;
    const auto tie = [&](const Candidate& c) {
      const std::size_t a = root(ties, c.a), b = root(ties, c.b);
      if (a == b) return;
      ties[a] = b;
      take(c);
    };
    for (const auto& c : all_) {
      if (const auto place = barred(c)) {
        fewer[c.a].insert(*place), fewer[c.b].insert(*place);
        left.push_back(&c);
        continue;
      }
      of[c.a].push_back(&c), of[c.b].push_back(&c);
      tie(c);
    }
    for (const Candidate* c : left) tie(*c);  // better there than none at all
    for (std::size_t ring = 1; ring < region_.rings.size(); ++ring) {
      const auto want = static_cast<std::size_t>(std::max(1, wanted(ring) - static_cast<int>(fewer[ring].size())));
      const double apart = want > 2 ? 0.6 * 360 / static_cast<double>(want) : by_hand_.empty() ? kApart : kApartFromSet;
      for (const Candidate* c : of[ring]) {
        if (held_[ring].size() >= want) break;
        if (turned_away(ring, *c) >= apart && clear(*c)) take(*c);
      }
    }
  }

  /// The strip, cut to the opening that it crosses.
  [[nodiscard]] std::optional<Bridge> built(const Candidate& c) const {
    const Vec middle = (c.at_a + c.at_b) * 0.5;
    const double radians = c.angle * std::numbers::pi / 180;
    const Vec along{std::cos(radians), -std::sin(radians)}, side{-along.y, along.x};
    const Vec a = middle - along * (c.length / 2), b = middle + along * (c.length / 2);
    // How much farther the edges lie beside the middle line.
    const double over = c.to - c.from - c.length + kOver;
    const Vec out = along * over, wide = side * (c.width / 2);
    const Region strip = unite({Region{{{a - out - wide, b + out - wide, b + out + wide, a - out + wide}}}});
    const Box around = bounds_of(strip);
    Region near;
    for (std::size_t i = 0; i < region_.rings.size(); ++i) {
      if (boxes_[i].overlaps(around)) near.rings.push_back(region_.rings[i]);
    }
    for (const auto& piece : parts_of(intersect(strip, near))) {
      if (!encloses(piece, middle)) continue;
      // A little past the edges, or rounding would leave hairs between bridge and sheet.
      return Bridge{middle, c.width, c.length, c.angle, intersect(strip, offset(piece, kPast)), {}};
    }
    return std::nullopt;
  }

  const BridgeOptions& options_;
  const Region& region_;
  std::vector<Box> boxes_;
  const std::vector<std::size_t> set_;    // of the options' places, those in this part
  const std::map<double, double>& rows_;  // heights of bridges by heights of islands' middles
  std::deque<std::pair<Candidate, std::size_t>> by_hand_;
  bool symmetric_ = false;  // about the upright line through its middle
  std::vector<Candidate> all_;
  std::vector<const Candidate*> chosen_;
  std::vector<std::vector<const Candidate*>> held_;  // of these, those at each ring
};

/// The heights at which level bridges run, by the heights of the islands' middles: one for those that nearly agree.
std::map<double, double> heights_of(const std::vector<Region>& parts) {
  struct Island {
    double middle = 0, tall = 0;
  };
  std::vector<Island> all;
  for (const auto& part : parts) {
    for (std::size_t i = 1; i < part.rings.size(); ++i) {
      const Box b = bounds_of(part.rings[i]);
      all.push_back({b.centre().y, b.height()});
    }
  }
  std::sort(all.begin(), all.end(), [](const Island& a, const Island& b) { return a.middle < b.middle; });
  std::map<double, double> out;
  for (std::size_t i = 0; i < all.size();) {
    double least = all[i].tall;
    std::size_t end = i + 1;
    while (end < all.size() && all[end].middle - all[i].middle < 2 * kInRow * std::min(least, all[end].tall))
      least = std::min(least, all[end++].tall);
    const double height = (all[i].middle + all[end - 1].middle) / 2;
    for (; i < end; ++i) out[all[i].middle] = height;
  }
  return out;
}

/// Strips both ways through the whole of the box.
Region mesh_over(const Box& box, const BridgeOptions& options) {
  const Vec middle = box.centre();
  const double half = std::hypot(box.width(), box.height()) / 2 + options.width_mm, w = options.width_mm / 2;
  const int n = static_cast<int>(std::ceil(half / options.mesh_mm));
  std::vector<Region> strips;
  for (const double degree : {options.mesh_angle, options.mesh_angle + 90}) {
    const Affine turned = Affine::move(middle.x, middle.y) * Affine::rotate(degree);
    for (int i = -n; i <= n; ++i) {
      const double y = i * options.mesh_mm;
      Ring strip{{-half, y - w}, {half, y - w}, {half, y + w}, {-half, y + w}};
      for (Vec& p : strip) p = turned(p);
      strips.push_back(Region{{std::move(strip)}});
    }
  }
  return unite(strips);
}

}  // namespace

double bridge_width(double thickness_mm) {
  constexpr double kLeast = 1.2, kMost = 2.5, kFirm = 0.25;
  if (!(thickness_mm > 0)) return kLeast;
  return std::clamp(std::round(kLeast * kFirm / thickness_mm * 10) / 10, kLeast, kMost);
}

Bridged bridged(const Region& openings, const BridgeOptions& options) {
  Bridged out;
  Region open = openings;
  const auto islands_in = [](const std::vector<Region>& parts) {
    std::size_t n = 0;
    for (const auto& part : parts) n += part.rings.size() - 1;
    return n;
  };
  auto parts = parts_of(open);
  out.islands = islands_in(parts);
  // Not finer than a hundred strips each way.
  if (options.mesh_mm > options.width_mm && !open.empty() &&
      std::hypot(bounds_of(open).width(), bounds_of(open).height()) < 100 * options.mesh_mm) {
    out.mesh = intersect(mesh_over(bounds_of(open), options), open);
    open = subtract(open, out.mesh);
    parts = parts_of(open);
  }
  const auto rows = options.way == BridgeOptions::Way::level ? heights_of(parts) : std::map<double, double>{};
  // A place belongs to the smallest part around it, else to the nearest.
  std::vector<std::vector<std::size_t>> set(parts.size());
  for (std::size_t i = 0; i < options.set.size() && !parts.empty(); ++i) {
    const auto rank = [&](const Region& part) {
      const Region outline{{part.rings.front()}};
      if (encloses(outline, options.set[i])) return std::pair(0.0, area_of(outline));
      const Box b = bounds_of(outline);
      const Vec q{std::clamp(options.set[i].x, b.x0, b.x1), std::clamp(options.set[i].y, b.y0, b.y1)};
      return std::pair(distance(q, options.set[i]) + 1e-6, 0.0);
    };
    const auto own = std::min_element(parts.begin(), parts.end(),
                                      [&](const Region& a, const Region& b) { return rank(a) < rank(b); });
    set[static_cast<std::size_t>(own - parts.begin())].push_back(i);
  }
  std::vector<Region> strips;
  for (std::size_t k = 0; k < parts.size(); ++k) {
    if (parts[k].rings.size() < 2 && set[k].empty()) continue;
    Bridged of = Part(parts[k], options, std::move(set[k]), rows).run();
    for (auto& bridge : of.bridges) {
      strips.push_back(bridge.strip);
      out.bridges.push_back(std::move(bridge));
    }
  }
  out.openings = strips.empty() ? open : subtract(open, unite(strips));
  parts = parts_of(out.openings);
  out.loose = islands_in(parts), out.bits = parts.size();
  return out;
}

}  // namespace dotlane
