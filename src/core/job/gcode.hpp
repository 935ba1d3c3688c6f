// G-code: what a job is in it, and reading it back for a rehearsal.
//
// The dialect is RS274/NGC as the NIST interpreter, version 3, documents it (T. Kramer, F. Proctor, E. Messina, NISTIR
// 6556, 2000): G0 G1 G2 G3 with I and J, G20 G21 G90 G91, F in units a minute, M0 M2 M6 T, remarks in brackets.
// How a machine lifts its tool is its own affair, so a profile says it. Origin and axes are those of HPGL: the lower
// left corner of the mat, y up. Arcs are found among the points of a run where that is asked for.
#pragma once

#include "core/job/command.hpp"
#include "core/job/job.hpp"

namespace dotlane {

struct GcodeProfile {
  std::string name = "Z lift";
  bool servo = false;          ///< the tool is lifted by a servo (M3 S...), else along Z
  double up = 5, down = 0;     ///< Z, mm, or the servo's S
  double settle_s = 0.15;      ///< a servo is waited for (G4)
  double plunge_mm_s = 10;     ///< along Z
  bool arcs = false;           ///< G2 and G3 where points lie on a circle
  double tolerance_mm = 0.01;  ///< that points and the middles between them may be off an arc
  bool tool_change = true;     ///< M6 for another holder; else M0, and the remark says which
  std::string before, after;   ///< lines of the machine's own at the beginning and the end
};

/// {"name", "lift": "z"|"servo", "up", "down", "settle_s", "plunge_mm_s", "arcs", "tolerance_mm", "tool_change",
/// "before", "after"}: what is not said stays as it is here. Errors name the field.
[[nodiscard]] Result<GcodeProfile> gcode_profile_from(std::string_view json);

[[nodiscard]] Encoded gcode_of(const Job& job, const GcodeProfile& profile = {});

/// Reads what gcode_of writes, and what others write in the same dialect. Arcs become points within 5 um.
class GcodeReader : public StreamReader {
 public:
  GcodeReader(double mat_height_mm, GcodeProfile profile) : mat_height_(mat_height_mm), profile_(std::move(profile)) {}
  Result<void> feed(std::string_view bytes, std::vector<Command>& out) override;
  Result<void> end(std::vector<Command>& out) override;

 private:
  Result<void> line(std::string_view text, std::size_t bytes, std::vector<Command>& out);
  [[nodiscard]] Vec on_mat(Vec p) const { return {p.x, mat_height_ - p.y}; }
  double mat_height_;
  GcodeProfile profile_;
  std::string pending_;
  std::size_t lines_ = 0;
  double unit_ = 1;  // mm
  bool absolute_ = true, down_ = false;
  int motion_ = 0;  // of G0 to G3, the last that was said
  Vec at_;
  double z_ = 0;
  int tool_ = 0;
};

}  // namespace dotlane
