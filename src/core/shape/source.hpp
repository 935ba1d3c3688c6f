// What a source with a kind makes: a traced picture, lettering or a ready shape.
#pragma once

#include "core/project/project.hpp"

namespace dotlane {

/// The lines in the source's own coordinates. What cannot be made as asked is said in `trouble`.
[[nodiscard]] std::vector<Line> source_lines(const Source& source, Sayings& trouble);

}  // namespace dotlane
