#include "core/format/chained.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <optional>
#include <utility>

namespace dotlane {
namespace {

Vec end_of(const Contour& contour) { return contour.segments.empty() ? contour.start : contour.segments.back().end; }

Contour reversed(const Contour& contour) {
  Contour out{end_of(contour), {}, contour.closed};
  for (std::size_t i = contour.segments.size(); i-- > 0;) {
    const Segment& s = contour.segments[i];
    const Vec to = i == 0 ? contour.start : contour.segments[i - 1].end;
    out.segments.push_back(s.straight ? Segment::line(to) : Segment::cubic(s.c2, s.c1, to));
  }
  return out;
}

/// An end of an open line: where it is, of which, and whether it is the last point.
struct End {
  Vec at;
  std::size_t line = 0;
  bool last = false;
};

class Chaining {
 public:
  Chaining(std::vector<ArtLine>& lines, double near) : lines_(lines), near_(near) {
    for (std::size_t i = 0; i < lines_.size(); ++i) {
      const Path& path = lines_[i].path;
      if (path.contours.size() != 1 || path.contours[0].closed || path.contours[0].segments.empty()) continue;
      for (const bool last : {false, true}) {
        const Vec at = last ? end_of(path.contours[0]) : path.contours[0].start;
        cells_[cell(at)].push_back({at, i, last});
      }
      open_.push_back(i);
    }
  }

  std::vector<ArtLine> run() {
    std::vector<bool> used(lines_.size(), false);
    for (const std::size_t first : open_) {
      if (used[first]) continue;
      used[first] = true;
      Contour chain = lines_[first].path.contours[0];
      // Onward from its last point, then from its first.
      for (const bool backward : {false, true}) {
        End here = backward ? End{chain.start, first, false} : End{end_of(chain), first, true};
        while (const auto next = partner(here)) {
          if (used[next->line]) break;
          used[next->line] = true;
          Contour more = lines_[next->line].path.contours[0];
          if (next->last != backward) more = reversed(more);
          if (backward) {
            // It ends where the chain begins.
            more.segments.back().end = chain.start;
            more.segments.insert(more.segments.end(), chain.segments.begin(), chain.segments.end());
            chain = std::move(more);
          } else {
            chain.segments.insert(chain.segments.end(), more.segments.begin(), more.segments.end());
          }
          here = {backward ? chain.start : end_of(chain), next->line, !next->last};
        }
      }
      lines_[first].path.contours[0] = std::move(chain);
      lines_[first].path = with_ends_joined(std::move(lines_[first].path));
      kept_.push_back(first);
    }
    std::vector<ArtLine> out;
    for (std::size_t i = 0; i < lines_.size(); ++i) {
      if (!used[i] || std::binary_search(kept_.begin(), kept_.end(), i)) out.push_back(std::move(lines_[i]));
    }
    return out;
  }

 private:
  using Cell = std::pair<long long, long long>;
  [[nodiscard]] Cell cell(Vec at) const {
    return {static_cast<long long>(std::floor(at.x / near_)), static_cast<long long>(std::floor(at.y / near_))};
  }
  [[nodiscard]] bool alike(std::size_t a, std::size_t b) const {
    const ArtLine &x = lines_[a], &y = lines_[b];
    return x.layer == y.layer && x.stroke == y.stroke && x.fill == y.fill && x.dashed == y.dashed;
  }
  /// The one other end that meets this one; nothing where none or several do.
  [[nodiscard]] std::optional<End> partner(const End& end) const {
    std::optional<End> found;
    const Cell middle = cell(end.at);
    for (long long dx = -1; dx <= 1; ++dx) {
      for (long long dy = -1; dy <= 1; ++dy) {
        const auto there = cells_.find({middle.first + dx, middle.second + dy});
        if (there == cells_.end()) continue;
        for (const End& other : there->second) {
          if ((other.line == end.line && other.last == end.last) || distance(other.at, end.at) > near_) continue;
          if (!alike(other.line, end.line)) continue;
          if (found) return std::nullopt;
          found = other;
        }
      }
    }
    return found;
  }
  [[nodiscard]] Path with_ends_joined(Path path) const {
    Contour& contour = path.contours[0];
    if (contour.segments.size() > 1 && distance(contour.start, end_of(contour)) <= near_) {
      contour.segments.back().end = contour.start;
      contour.closed = true;
    }
    return path;
  }

  std::vector<ArtLine>& lines_;
  double near_;
  std::map<Cell, std::vector<End>> cells_;
  std::vector<std::size_t> open_, kept_;
};

}  // namespace

std::vector<ArtLine> chained(std::vector<ArtLine> lines, double near) { return Chaining(lines, near).run(); }

}  // namespace dotlane
