// Single-stroke faces from Hershey data, in James Hurt's text format (JHF).
#pragma once

#include "core/text/face.hpp"

namespace dotlane {

/// Reads JHF: records of a number, a count and that many pairs of letters, each letter a coordinate from 'R'; the
/// first pair holds the left and right sides, " R" lifts the pen. The n-th record is the form of character 32 + n.
/// `place` is named in errors.
[[nodiscard]] Result<std::shared_ptr<const Face>> open_stroke_face(const std::string& text, const std::string& name,
                                                                   const std::string& place);

}  // namespace dotlane
