// HPGL: what a job is in it, and reading it back.
//
// 40 units a mm, x to the right, y up, the origin at the lower left corner of the mat. Used instructions:
//   IN; SPn; (holder n, 0 at the end)  VSv; (speed in cm/s)  FSf; (force in grams)  PUx,y;  PDx,y,...;
// and CO "..."; for markers (markers.hpp).
#pragma once

#include "core/job/command.hpp"
#include "core/job/job.hpp"

namespace dotlane {

inline constexpr double kHpglPerMm = 40;

[[nodiscard]] Encoded hpgl_of(const Job& job);

class HpglReader : public StreamReader {
 public:
  explicit HpglReader(double mat_height_mm) : mat_height_(mat_height_mm) {}
  Result<void> feed(std::string_view bytes, std::vector<Command>& out) override;
  Result<void> end(std::vector<Command>& out) override;

 private:
  Result<Command> read(std::string_view text);
  double mat_height_;
  bool down_ = false;  // PA keeps what PU or PD said
  std::string pending_;
  std::size_t count_ = 0;
};

}  // namespace dotlane
