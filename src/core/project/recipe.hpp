// Recipes as values: a source made by numbers, and the steps that shape it. Which kinds exist and what each takes is
// one table (core/project/kinds.hpp); files, command line and window all read from it.
#pragma once

#include <map>
#include <string>
#include <variant>
#include <vector>

namespace dotlane {

/// Fields of a newer version of the format, kept as JSON text so that they survive load and save.
using Unknown = std::string;

/// A number (mm, degrees, count...), a switch, a word or text, or a list of numbers (piece ids, places).
using Value = std::variant<double, bool, std::string, std::vector<double>>;

/// Values by key. What a kind takes and nobody set has the standard value of the kind's table.
using Values = std::map<std::string, Value>;

/// One step of a recipe.
struct Step {
  int id = 0;        ///< unique in its piece; lines it makes carry it in their ids
  std::string kind;  ///< see step_kinds()
  bool on = true;
  Values values;
  Unknown unknown_values;  ///< among the values
  Unknown unknown;
  friend bool operator==(const Step&, const Step&) = default;
};

}  // namespace dotlane
