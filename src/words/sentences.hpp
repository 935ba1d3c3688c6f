// Sentences made of codes and figures: the one place where the core's findings become words.
#pragma once

#include <string>

#include "core/error.hpp"
#include "core/project/finding.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// The sentence of a code, its figures put in; lengths and areas are told in the unit. A code without a sentence comes
/// back as it is.
[[nodiscard]] std::string sentence(const Said& said, LengthUnit unit = LengthUnit::mm);
/// One after the other.
[[nodiscard]] std::string sentence(const Sayings& sayings, LengthUnit unit = LengthUnit::mm);
[[nodiscard]] std::string sentence(const Finding& finding, LengthUnit unit = LengthUnit::mm);
/// What stands on the button of a fix.
[[nodiscard]] std::string label(const Fix& fix, LengthUnit unit = LengthUnit::mm);

/// "place: sentence", or the sentence alone: one line for a person.
[[nodiscard]] std::string line_of(const Error& error);

/// The template of a code, or nothing. See english.hpp for how they are written.
[[nodiscard]] const char* template_of(const std::string& code);

}  // namespace dotlane
