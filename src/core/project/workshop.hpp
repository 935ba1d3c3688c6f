// What the workshop has, taken from one project into another.
#pragma once

#include "core/project/project.hpp"

namespace dotlane {

/// The project with the machine of the other, and with its tools and stocks: those of the same id are replaced, others
/// are added. What the project has beside them stays.
[[nodiscard]] Project with_workshop(Project project, const Project& from);

}  // namespace dotlane
