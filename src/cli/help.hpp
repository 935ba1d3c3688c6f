// How dot-lane-cli is used, in the reader's language.
#pragma once

#include <string>
#include <vector>

#include "cli/report.hpp"

namespace dotlane::cli {

/// All commands, or one of them, with their options; no line longer than 100 characters but where it cannot be broken.
/// Nothing where there is no such command.
[[nodiscard]] std::string help_text(const std::string& command = {});
/// The same as a list of {use, about}; an option belongs to the command before it.
[[nodiscard]] Json help_report();
/// All steps and ready shapes with their values.
[[nodiscard]] std::string shape_help();

/// What there is to translate in all that.
[[nodiscard]] std::vector<std::string> texts_of_help();

}  // namespace dotlane::cli
