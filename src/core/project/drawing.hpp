// Drawing: every line of the project resolved to mm on the mat, ready to paint, plan and check.
#pragma once

#include <memory>
#include <mutex>
#include <unordered_map>
#include <vector>

#include "core/geometry/flatten.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// A line's contours as chains, in piece coordinates, within the tolerance they were made for.
struct FlatLine {
  std::vector<Polyline> chains;
  Box bounds;
};

struct FlatPiece {
  std::vector<FlatLine> lines;  ///< one for each line of the piece, in the same order
  Box bounds;
  std::size_t segments = 0;
};

/// One piece as placed. `flat` is in piece coordinates; `to_mat` puts it on the mat.
struct DrawnPiece {
  Shared<Piece> piece;
  Affine to_mat;
  std::shared_ptr<const FlatPiece> flat;
  Box bounds;                    ///< on the mat, mm
  std::vector<Box> line_bounds;  ///< on the mat, mm, one for each line

  [[nodiscard]] Polyline on_mat(const Polyline& chain) const;
};

struct Drawing {
  std::vector<std::shared_ptr<const DrawnPiece>> pieces;  ///< top layer first, as in the project
  [[nodiscard]] Box bounds() const;
  [[nodiscard]] std::size_t segments() const;
};

/// Remembers what pieces resolved to, so that an edit recomputes only what it touched. Safe to share among threads.
class DrawingCache {
 public:
  std::shared_ptr<const DrawnPiece> resolve(const Shared<Piece>& piece);

 private:
  struct Entry {
    std::weak_ptr<const Piece> piece;
    std::shared_ptr<const DrawnPiece> drawn;
  };
  struct FlatEntry {
    std::vector<std::shared_ptr<const Path>> paths;  // the key: the very paths it was made of
    double tolerance = 0;
    std::shared_ptr<const FlatPiece> flat;
  };
  std::mutex mutex_;
  std::unordered_map<const Piece*, Entry> drawn_;
  std::unordered_map<int, FlatEntry> flat_;  // by piece id
};

/// Curves are flattened within this many mm on the mat.
inline constexpr double kFlatness = 0.01;

/// Resolves the whole project. The result depends on the project alone; the cache only saves time.
[[nodiscard]] Drawing evaluate(const Project& project, DrawingCache& cache);

/// The line whose drawn course passes nearest to `at`, if one does within `reach` mm; upper layers win ties.
[[nodiscard]] std::optional<LineRef> pick_line(const Drawing& drawing, Vec at, double reach);

/// All lines that lie wholly inside the box; a piece that does is one reference with an empty line id.
[[nodiscard]] std::vector<LineRef> lines_inside(const Drawing& drawing, const Box& box);

/// The bounds of these lines on the mat; of whole pieces where a reference has an empty line id.
[[nodiscard]] Box bounds_of(const Drawing& drawing, const std::vector<LineRef>& lines);

}  // namespace dotlane
