// English, table by table. Other languages have these templates, translated, in translations/.
//
// {name}            a name, or a number with what decimals it needs
// {name|2}          a number with at most that many decimals
// {name|mm2}        a length, {name|area2} an area: with their unit, in the one that the project has
// {name|n:one:many} a count before the word that fits it; {name?one:many} the word alone
// {name|role}       the word for a role, a kind of tool, or how a mat holds
// {name|step}       the name of a step; {name|place} that of a place in a frame
// {*roles}          counts of lines by role, those that there are
// [...]             only where all figures in it are there
#pragma once

#include <span>
#include <string_view>

namespace dotlane {

struct Template {
  std::string_view code;
  const char* text;
};

[[nodiscard]] std::span<const Template> findings_in_english();
[[nodiscard]] std::span<const Template> practice_in_english();
[[nodiscard]] std::span<const Template> hands_in_english();
[[nodiscard]] std::span<const Template> making_in_english();
[[nodiscard]] std::span<const Template> errors_in_english();
[[nodiscard]] std::span<const Template> commands_in_english();

/// All of them, one after the other.
[[nodiscard]] std::span<const Template> all_in_english();

}  // namespace dotlane
