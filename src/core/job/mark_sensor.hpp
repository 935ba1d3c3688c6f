// Finding the marks of a printed sheet by a sensor that tells how dark it is below it, and a sheet to try that on.
#pragma once

#include <functional>
#include <optional>
#include <random>

#include "core/geometry/affine_fit.hpp"
#include "core/layout/print_marks.hpp"
#include "core/said.hpp"

namespace dotlane {

/// What lies on a simulated mat.
struct PrintedSheet {
  int sheet = 0, load = 1;
  Affine placement;  ///< from where it was planned to lie to where it does, mm on the mat
  PrintMarks marks;  ///< as planned
  Region art;        ///< what else is printed near the marks, as planned
};

/// The sensor of the simulated cutter above such a sheet: a spot of light 0.8 mm across, with noise.
class MarkSensor {
 public:
  MarkSensor(const PrintedSheet& sheet, unsigned seed);
  /// 0: the stock; 1: ink.
  double operator()(Vec at);

 private:
  std::vector<std::pair<Vec, double>> discs_;  // centres and radii as printed
  Region art_;
  Affine back_;  // from the mat to where it was planned
  double stretch_;
  std::mt19937 random_;
};

struct FoundMarks {
  AffineFit fit;                ///< from where the marks were planned to where they are
  std::optional<Said> problem;  ///< why they were not found
};

inline constexpr double kMarkSearch = 18;     ///< mm around where each mark is expected, level and upright
inline constexpr double kMarkResidual = 0.3;  ///< mm: marks that fit together worse are not believed

/// Looks for the dots in rows, takes for one what is as wide as a dot both ways and light around, and its middle from
/// two sweeps. The small dot must be where the four others say, and none at the other corners. `reach` is where the
/// sensor gets to.
[[nodiscard]] FoundMarks find_marks(const std::function<double(Vec)>& darkness, const Box& reach,
                                    const PrintMarks& planned);

}  // namespace dotlane
