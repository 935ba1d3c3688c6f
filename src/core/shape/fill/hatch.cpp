#include "core/shape/fill/hatch.hpp"

#include <deque>
#include <optional>

namespace dotlane {
namespace {

constexpr double kSamePlace = 1e-6;  // mm along a line

/// One end of a span: where a stroke can go on along the edge.
struct End {
  std::size_t span = 0;
  bool far = false;  // the `to` side
};

class Zigzag {
 public:
  Zigzag(const FillArea& area, const Scan& scan, double join, double shortest)
      : area_(area), scan_(scan), join_(join), line_of_(scan.size()), used_(scan.size(), 0) {
    for (std::size_t k = 0; k < scan.lines(); ++k) {
      for (std::size_t i = scan.start(k); i < scan.start(k + 1); ++i) {
        line_of_[i] = static_cast<std::uint32_t>(k);
        if (scan.span(i).to - scan.span(i).from < shortest) used_[i] = 1;
      }
    }
  }

  Strokes run() {
    Strokes out;
    for (std::size_t i = 0; i < scan_.size(); ++i) {
      if (used_[i]) continue;
      used_[i] = 1;
      std::vector<Vec> ahead, behind;
      grow({i, true}, ahead);
      grow({i, false}, behind);
      for (auto p = behind.rbegin(); p != behind.rend(); ++p) out.add(*p);
      out.add(place({i, false}));
      out.add(place({i, true}));
      for (const Vec p : ahead) out.add(p);
      out.end(area_.part_of[scan_.ring_of(scan_.span(i).from_edge)]);
    }
    return out;
  }

 private:
  [[nodiscard]] double along(End e) const { return e.far ? scan_.span(e.span).to : scan_.span(e.span).from; }
  [[nodiscard]] Vec place(End e) const { return scan_.at(along(e), line_of_[e.span]); }

  /// Goes on from the end of a span through as many more as are within reach.
  void grow(End end, std::vector<Vec>& out) {
    for (;;) {
      std::optional<End> next = neighbour(end, +1, out);
      if (!next) next = neighbour(end, -1, out);
      if (!next) return;
      used_[next->span] = 1;
      out.push_back(place(*next));
      end = {next->span, !next->far};
      out.push_back(place(end));
    }
  }

  /// The free end that the edge leads to on the next line in this direction; the corners on the way are put out.
  std::optional<End> neighbour(End end, int step, std::vector<Vec>& out) const {
    const double goal = static_cast<double>(line_of_[end.span]) + step;
    if (goal < 0 || goal >= static_cast<double>(scan_.lines())) return std::nullopt;
    const Span& span = scan_.span(end.span);
    std::uint32_t edge = end.far ? span.to_edge : span.from_edge;
    const auto& corners = scan_.corners();
    const bool forward = (corners[scan_.next(edge)].line > corners[edge].line) == (step > 0);
    const std::size_t kept = out.size();
    auto give_up = [&] {
      out.resize(kept);
      return std::nullopt;
    };
    Vec at = place(end);
    double way = 0;
    const double start = static_cast<double>(line_of_[end.span]);
    for (std::size_t turn = 0; turn <= corners.size(); ++turn) {
      const std::uint32_t corner = forward ? scan_.next(edge) : edge;
      const auto& c = corners[corner];
      const auto& other = corners[forward ? edge : scan_.next(edge)];
      if ((c.line - goal) * step >= 0) {  // the line is met on this edge
        const double t = c.line == other.line ? 1 : (goal - other.line) / (c.line - other.line);
        const double where = other.along + (c.along - other.along) * t;
        if (way + distance(at, scan_.at(where, goal)) > join_) return give_up();
        const auto met = end_at(static_cast<std::size_t>(goal), where);
        if (!met || used_[met->span]) return give_up();
        return met;
      }
      if ((c.line - start) * step < 0) return give_up();  // the edge turns back before it gets there
      const Vec p = scan_.at(c.along, c.line);
      way += distance(at, p);
      if (way > join_) return give_up();
      if (!(p == at)) out.push_back(p);
      at = p;
      edge = forward ? corner : scan_.before(edge);
    }
    return give_up();
  }

  /// The span end of the line that lies there.
  [[nodiscard]] std::optional<End> end_at(std::size_t line, double where) const {
    std::size_t low = scan_.start(line), high = scan_.start(line + 1);
    while (low < high) {
      const std::size_t middle = (low + high) / 2;
      if (scan_.span(middle).to < where - kSamePlace) {
        low = middle + 1;
      } else {
        high = middle;
      }
    }
    if (low >= scan_.start(line + 1)) return std::nullopt;
    if (std::abs(scan_.span(low).to - where) <= kSamePlace) return End{low, true};
    if (std::abs(scan_.span(low).from - where) <= kSamePlace) return End{low, false};
    return std::nullopt;
  }

  const FillArea& area_;
  const Scan& scan_;
  double join_;
  std::vector<std::uint32_t> line_of_;
  std::vector<char> used_;
};

}  // namespace

Strokes hatch(const FillArea& area, const Scan& scan, double shortest, std::size_t first) {
  Strokes out;
  out.reserve(scan.size(), 2 * scan.size());
  for (std::size_t k = first; k < scan.lines(); ++k) {
    const auto line = static_cast<double>(k);
    const std::size_t from = scan.start(k), n = scan.start(k + 1) - from;
    for (std::size_t i = 0; i < n; ++i) {
      const Span& span = scan.span(k % 2 == 0 ? from + i : from + n - 1 - i);
      if (span.to - span.from < shortest) continue;
      const bool back = k % 2 != 0;
      out.add(scan.at(back ? span.to : span.from, line));
      out.add(scan.at(back ? span.from : span.to, line));
      out.end(area.part_of[scan.ring_of(span.from_edge)]);
    }
  }
  return out;
}

Strokes zigzag(const FillArea& area, const Scan& scan, double join, double shortest) {
  return Zigzag(area, scan, join, shortest).run();
}

}  // namespace dotlane
