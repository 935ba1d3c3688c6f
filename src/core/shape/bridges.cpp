#include "core/shape/bridges.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <numeric>
#include <optional>

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
constexpr double kAlike = 0.02;           // share of the area that may differ in what is called symmetric
constexpr double kOnAxis = 0.02;          // of its width that an island may lie beside the axis
constexpr double kApart = 100;            // degrees around an island between two bridges, where it has two
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
  Part(const Region& region, const BridgeOptions& options) : options_(options), region_(region) {
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
    out.islands = region_.rings.size() - 1;
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
    choose();
    for (const Candidate* c : chosen_) {
      if (auto bridge = built(*c)) out.bridges.push_back(std::move(*bridge));
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
    // How far each ring reaches across the lines.
    std::vector<double> least(region_.rings.size(), 1e300), most(region_.rings.size(), -1e300);
    for (std::uint32_t c = 0; c < scan.corners().size(); ++c) {
      const std::uint32_t ring = scan.ring_of(c);
      least[ring] = std::min(least[ring], scan.corners()[c].line);
      most[ring] = std::max(most[ring], scan.corners()[c].line);
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
          const double middle = (least[ring] + most[ring]) / 2;
          cost *= 1 + kBeside * std::abs(static_cast<double>(line) - middle) / ((most[ring] - least[ring]) / 2);
        }
        // What is symmetric is to stay it: upright, in the middle of islands that lie on the axis.
        for (const std::size_t ring : {a, b}) {
          if (ring == 0 || !symmetric_ || options_.way != BridgeOptions::Way::upright) continue;
          const double off = std::abs(boxes_[ring].centre().x - boxes_[0].centre().x);
          const double middle = (least[ring] + most[ring]) / 2;
          const bool upright = angle == 90 && std::abs(c.across - middle) <= 0.5;
          if (off < kOnAxis * boxes_[0].width() && !upright) cost *= kLopsided;
        }
        // Thin necks behind its ends.
        const bool thin_before = !narrow_a && i > scan.start(line) && span.from - scan.span(i - 1).to < 2 * width;
        const bool thin_behind =
            !narrow_b && i + 1 < scan.start(line + 1) && scan.span(i + 1).from - span.to < 2 * width;
        if (thin_before || thin_behind) cost *= kNeck;
        // Just beside the middle of an island means in the middle: what is symmetric stays so.
        for (const std::uint32_t ring : {a, b}) {
          const double middle = (least[ring] + most[ring]) / 2;
          if (ring != 0 && std::abs(c.across - middle) <= 0.5) c.across = middle;
        }
        c.cost = cost;
        c.at_a = scan.at(span.from, c.across), c.at_b = scan.at(span.to, c.across);
        all_.push_back(c);
      }
    }
  }

  void take(const Candidate& c) {
    chosen_.push_back(&c);
    held_[c.a].push_back(&c), held_[c.b].push_back(&c);
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
    std::vector<std::vector<const Candidate*>> of(region_.rings.size());  // by ring, the cheapest first
    for (const auto& c : all_) {
      of[c.a].push_back(&c), of[c.b].push_back(&c);
      const std::size_t a = root(ties, c.a), b = root(ties, c.b);
      if (a == b) continue;
      ties[a] = b;
      take(c);
    }
    for (std::size_t ring = 1; ring < region_.rings.size(); ++ring) {
      const auto want = static_cast<std::size_t>(wanted(ring));
      const double apart = want <= 2 ? kApart : 0.6 * 360 / static_cast<double>(want);
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
      return Bridge{middle, c.width, c.length, c.angle, intersect(strip, offset(piece, kPast))};
    }
    return std::nullopt;
  }

  const BridgeOptions& options_;
  const Region& region_;
  std::vector<Box> boxes_;
  bool symmetric_ = false;  // about the upright line through its middle
  std::vector<Candidate> all_;
  std::vector<const Candidate*> chosen_;
  std::vector<std::vector<const Candidate*>> held_;  // of these, those at each ring
};

}  // namespace

Bridged bridged(const Region& openings, const BridgeOptions& options) {
  Bridged out;
  std::vector<Region> strips;
  for (const auto& part : parts_of(openings)) {
    if (part.rings.size() < 2) continue;
    Bridged of = Part(part, options).run();
    out.islands += of.islands;
    for (auto& bridge : of.bridges) {
      strips.push_back(bridge.strip);
      out.bridges.push_back(std::move(bridge));
    }
  }
  out.openings = strips.empty() ? openings : subtract(openings, unite(strips));
  for (const auto& part : parts_of(out.openings)) out.loose += part.rings.size() - 1;
  return out;
}

}  // namespace dotlane
