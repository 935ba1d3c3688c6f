// dot-lane-cli shape: one step of a recipe, a ready shape or a traced picture, from file to file.
#pragma once

#include <string>

#include "cli/options.hpp"
#include "cli/report.hpp"
#include "core/project/kinds.hpp"

namespace dotlane::cli {

int shape(Options o, bool json);

/// Takes the values that the kind knows, as options of the same names; refuses what cannot stand.
[[nodiscard]] Values take_values(Options& o, const KindSpec& spec);

/// Writes these pieces as a drawing or the whole as a project, and reports on them, with `more` besides.
int write_shape(const Project& project, const std::vector<int>& pieces, const Box& page, const std::string& out,
                bool json, const Json& more);
/// The same for a piece just made: as a drawing it stands at the origin.
int write_new(Project project, int id, const std::string& out, bool json, const Json& more);

}  // namespace dotlane::cli
