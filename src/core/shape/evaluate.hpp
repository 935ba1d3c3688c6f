// From Project to Drawing: every recipe carried out, every line resolved in the figure.
#pragma once

#include <mutex>
#include <unordered_map>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/project/dependence.hpp"
#include "core/project/drawing.hpp"

namespace dotlane {

/// Curves are flattened within this many mm of their course.
inline constexpr double kFlatness = 0.01;

/// Where steps work: lines in the piece's own upright frame, sized but not turned, so that a length is a length and
/// moving or turning the piece changes nothing. `shape` takes the source's coordinates there, `to_figure` goes on.
struct Frame {
  Affine shape, to_figure;
};
[[nodiscard]] Frame frame_of(const Affine& placement);

/// A recipe carried out: its lines in the frame and what each step did.
class Shaped {
 public:
  Shaped(std::vector<Line> made, std::vector<StepOutcome> did, std::vector<Line> seen = {})
      : lines(std::move(made)), outcomes(std::move(did)), seen_(std::move(seen)) {}
  const std::vector<Line> lines;
  const std::vector<StepOutcome> outcomes;
  /// What of it is seen in the end: its lines' material, without allowances of fabric. Worked out when first asked for.
  [[nodiscard]] const Region& material() const;

 private:
  mutable std::once_flag once_;
  mutable Region material_;
  const std::vector<Line> seen_;  // the lines before the first "applique", where there is one
};

/// Remembers what pieces came to, step by step, so that an edit recomputes only what it touched. Safe to share among
/// threads.
class DrawingCache {
 public:
  struct After;  // lines after one step, with what it depended on

 private:
  struct Input;
  friend class Evaluation;
  struct Recipe;
  struct Entry {
    std::weak_ptr<const Piece> piece;
    std::shared_ptr<const DrawnPiece> drawn;
  };
  struct FlatEntry {
    std::vector<std::pair<std::shared_ptr<const Path>, Affine>> paths;  // the key: the very paths it was made of
    double tolerance = 0;
    std::shared_ptr<const FlatPiece> flat;
  };
  std::mutex mutex_;
  std::unordered_map<const Piece*, Entry> drawn_;                   // plain pieces
  std::unordered_map<int, FlatEntry> flat_;                         // by piece id
  std::unordered_map<int, std::shared_ptr<const Recipe>> recipes_;  // by piece id
};

enum class Effort {
  whole,    ///< everything is worked out
  at_once,  ///< what would take long is left as it last was and marked stale
};

/// Resolves the whole project. With Effort::whole the result depends on the project alone; the cache only saves time.
[[nodiscard]] Drawing evaluate(const Project& project, DrawingCache& cache, Effort effort = Effort::whole);

}  // namespace dotlane
