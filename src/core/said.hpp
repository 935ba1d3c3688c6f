// What there is to say, without the words: a code and the figures that go with it. src/words makes sentences of them.
#pragma once

#include <concepts>
#include <map>
#include <string>
#include <variant>
#include <vector>

namespace dotlane {

/// Lengths in mm, areas in mm², angles in degrees, times in s, forces in gf, counts; or a name.
using Figure = std::variant<double, std::string>;
using Figures = std::map<std::string, Figure>;

/// A count as a figure.
[[nodiscard]] constexpr double figure(std::integral auto count) { return static_cast<double>(count); }

struct Said {
  std::string code;  ///< stable, lower case with dashes; a form of it after a slash: "open-cut/slit"
  Figures figures{};
  friend bool operator==(const Said&, const Said&) = default;
};
using Sayings = std::vector<Said>;

}  // namespace dotlane
