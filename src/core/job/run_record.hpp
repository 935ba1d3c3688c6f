// What happened on the cutter: the last value on the road.
#pragma once

#include <limits>
#include <map>
#include <string>
#include <vector>

#include "core/geometry/vec.hpp"
#include "core/said.hpp"

namespace dotlane {

/// A course the tip really took while it was down, mm on the mat.
struct Mark {
  std::string tool;
  int mat = 1;  ///< which mat load it is on
  std::vector<Vec> points;
  double strength = 1;            ///< 1: as it should be; less: not through; more: into the mat
  int part = 1;                   ///< which stream of the job it was made by
  std::size_t at = 0;             ///< byte of that stream where what it belongs to ends
  double from_mm = 0, to_mm = 0;  ///< of the head's way in its stroke
  double width_mm = 0;            ///< as wide as its tip really is; 0: as the project says
  std::size_t instruction = std::numeric_limits<std::size_t>::max();  ///< of the job, once somebody knows
};

/// A printed sheet whose marks were found: what was worked on it was moved by this map, from where it was planned to
/// where it lay.
struct Registration {
  int sheet = 0, mat = 1;
  Affine map;
  double residual_mm = 0;  ///< the farthest that a mark was from where the map puts it
};

enum class Outcome { running, done, cancelled, failed };

[[nodiscard]] constexpr const char* word(Outcome o) {
  switch (o) {
    case Outcome::running:
      return "running";
    case Outcome::done:
      return "done";
    case Outcome::cancelled:
      return "cancelled";
    default:
      return "failed";
  }
}

struct RunRecord {
  Outcome outcome = Outcome::running;
  Said problem;        ///< why it failed, or the words that a device had for it; no code otherwise
  int pauses = 0;      ///< pauses it stopped at
  double seconds = 0;  ///< of the cutter's own clock: moving, lifting and lowering, hands not counted
  std::map<std::string, double> marked_mm;  ///< by tool id
  std::vector<Mark> marks;
  std::vector<Registration> registrations;
};

}  // namespace dotlane
