// Which pieces work with which others.
#pragma once

#include <vector>

#include "core/project/project.hpp"

namespace dotlane {

/// The ids of the pieces that this one's recipe works with, directly or through others; its own among them means that
/// it would depend on itself.
[[nodiscard]] std::vector<int> depends_on(const Project& project, int piece);
/// The pieces whose recipes work with this one directly.
[[nodiscard]] std::vector<int> users_of(const Project& project, int piece);

/// Whether the step works with every piece above its own, as it names none.
[[nodiscard]] bool works_under_all(const Step& step);

}  // namespace dotlane
