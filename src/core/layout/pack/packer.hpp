// Packing: shapes onto as few sheets as will do. A good answer at once, better ones as long as somebody wants to wait.
#pragma once

#include <cstdint>
#include <functional>
#include <random>
#include <vector>

#include "core/geometry/region.hpp"
#include "core/layout/pack/cells.hpp"

namespace dotlane::pack {

/// A sheet that may be used.
struct Stand {
  Region area;                ///< mm, where parts may lie: an outline, holes in it
  int most = 1;               ///< how many of these there are; 0: as many as are wanted
  std::vector<Region> taken;  ///< mm, what lies on it already (of one sheet, with most = 1)
};

struct Task {
  std::vector<Region> shapes;      ///< mm, each where it likes
  std::vector<std::size_t> items;  ///< the shape of each part to be packed
  std::vector<Stand> stands;       ///< in the order in which they are to be used
  double gap = 2;                  ///< mm, kept between parts, not to the edge of a sheet
  std::vector<double> turns{0};    ///< degrees counter-clockwise as seen, of every part
  unsigned seed = 1;
};

/// Where a part lies: turned about the origin, then moved.
struct Lies {
  std::size_t item = 0;
  std::size_t sheet = 0;  ///< index in Packing::sheets
  double turn = 0;        ///< degrees counter-clockwise as seen
  Vec move;               ///< mm
  [[nodiscard]] Affine map() const { return Affine::move(move.x, move.y) * Affine::rotate(-turn); }
};

struct Packing {
  std::vector<std::size_t> sheets;  ///< used, in order: for each the index of its stand
  std::vector<Lies> parts;
  std::vector<std::size_t> waiting;  ///< items that fit on no sheet that is left
  double used_mm2 = 0;               ///< all sheets but the last, and the box around what lies on the last
  double parts_mm2 = 0;
  [[nodiscard]] double density() const { return used_mm2 > 0 ? parts_mm2 / used_mm2 : 0; }
};

/// Bottom-left placing of cells under a score of touch (after Burke, Hellier, Kendall and Whitwell, Operations Research
/// 54(3), 2006, who fill from one edge), with late acceptance over the order of parts (Burke and Bykov, European
/// Journal of Operational Research 258(1), 2017). The same task gives the same row of packings.
class Packer {
 public:
  explicit Packer(Task task);
  /// The best so far: no two parts nearer than the gap, everything inside. Worked out in the constructor already.
  [[nodiscard]] const Packing& best() const { return best_; }
  /// Whether there is no time left; asked often, from any thread.
  using Stop = std::function<bool()>;
  /// Tries a few more orders, on all cores. Returns whether the best became better. Stopped, it forgets what it tried.
  bool improve(const Stop& stop = {});

 private:
  struct Pose {
    double turn = 0;
    Vec corner;  // of the box around the turned shape, mm
    int width = 0, height = 0;
    std::vector<Run> body, halo, rim;
    std::vector<Run> some;  // rows of the body, enough to find out where it may lie
    int rim_cells = 0;
  };
  struct Shape {
    std::vector<Pose> poses;
    double area = 0;
  };
  struct Spot {
    std::size_t pose = 0;
    int x = 0, y = 0;
    double score = -1e9;
  };
  struct Try {
    std::vector<std::size_t> order;
    double low = 1;         // how much lying low counts against touching
    std::size_t ahead = 6;  // of so many parts the one that fits best comes next
    Packing packing;
    double cost = 0;
  };

  bool prepare(double cell, const Stop& stop = {});
  bool take(const Try& t);
  [[nodiscard]] Pose pose_of(const Region& shape, const Region& halo, double turn) const;
  [[nodiscard]] Grid grid_of(const Stand& stand) const;
  /// With `box`, what is left of the sheet is to stay in one piece: what counts besides touching is the box around all.
  [[nodiscard]] Spot best_spot(const Grid& grid, const Shape& shape, double low, const Box* box = nullptr) const;
  /// False when it was stopped.
  bool lay_down(Try& attempt, const Stop& stop = {}) const;
  /// Lays the parts of the last sheet anew on narrower and narrower strips of it, and keeps the smallest box.
  void squeeze(Packing& packing, Box& used) const;
  /// Fills one more sheet with what fits of the items; returns the others, in their order.
  std::vector<std::size_t> fill(Packing& out, std::size_t stand, std::vector<std::size_t> items, const Try& how,
                                const Stop& stop, Box& used) const;

  Task task_;
  double cell_ = 1, fine_ = 1;  // mm: the side of a cell now, and in the end
  std::vector<Shape> shapes_;
  std::vector<Box> boxes_;   // of each stand's area
  std::vector<Grid> empty_;  // of each stand
  Try now_;
  std::vector<double> late_;  // costs some tries ago
  std::size_t tries_ = 0;
  std::mt19937 random_;
  Packing best_;
  double best_cost_ = 0;
};

}  // namespace dotlane::pack
