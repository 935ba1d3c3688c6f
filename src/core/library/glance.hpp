// A project at a glance: what is told of it without opening it, and what a search looks through.
#pragma once

#include <string>
#include <vector>

#include "core/project/drawing.hpp"

namespace dotlane {

struct PieceGlance {
  int id = 0;
  std::string name;
  std::string kind;   ///< what it is, by its source: "Tag", "star", the drawing's file
  std::string words;  ///< that it letters, names of its layers
  std::string stock;  ///< for people
  Vec size_mm;        ///< as it lies in the figure
};

struct ProjectGlance {
  std::string name;
  Vec size_mm;  ///< of all parts
  std::vector<PieceGlance> pieces;
};

[[nodiscard]] ProjectGlance glance_at(const Project& project, const Drawing& drawing);

}  // namespace dotlane
