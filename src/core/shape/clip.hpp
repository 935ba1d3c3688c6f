// Pieces taken along: copied out of a project, put into it again or into another, and copied on in the same way.
#pragma once

#include <optional>
#include <vector>

#include "core/shape/evaluate.hpp"

namespace dotlane {

/// The project with pieces of which single lines are selected left with these alone, frozen where a recipe makes them.
[[nodiscard]] Project with_lines_alone(Project project, const Drawing& drawing, const std::vector<LineRef>& selected);

/// A project of these pieces alone, with the stocks and tools that they want; nothing is laid out, the shelf is empty.
[[nodiscard]] Project clip_of(const Project& project, const std::vector<int>& pieces);

/// The same to be put into another project: pieces whose recipes work with others that do not come along are frozen.
[[nodiscard]] Project clip_for_others(const Project& project, const Drawing& drawing, const std::vector<int>& pieces);

/// The pieces of a clip on top of all others, moved by so much. They get new ids, and their recipes work with each
/// other under these; stocks and tools that the project does not have come along. A stock of the same id is the same.
/// `ids` hears the new ids, top layer first.
[[nodiscard]] Project pasted(Project project, const Project& clip, Vec by, std::vector<int>* ids = nullptr);

/// Pieces of another project on top of all of this one's, inside what tools reach.
[[nodiscard]] Project brought_over(Project project, const Project& from, const Drawing& drawing,
                                   const std::vector<int>& pieces, std::vector<int>* ids = nullptr);

/// A piece, and what became of a copy of it.
struct Copied {
  int from = 0, to = 0;
};

/// One more copy of each, as far from the last as that is from the one before, turned and sized as that was against it.
/// `next` hears the pairs to go on from. Pairs of which one is gone are passed over; nothing where none is left.
[[nodiscard]] std::optional<Project> copied_again(const Project& project, const std::vector<Copied>& copies,
                                                  DrawingCache& cache, std::vector<Copied>* next);

}  // namespace dotlane
