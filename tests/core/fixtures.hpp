// Small projects for tests, made from SVG text.
#pragma once

#include <catch2/catch.hpp>
#include <fstream>
#include <sstream>
#include <string>

#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/format/svg_reader.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/road.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/sizing.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {

/// The project with one more piece on top; `body` stands inside a 300 x 300 mm svg, stroked, not filled. Returns its
/// id.
inline int add_drawing(Project& project, const std::string& body, const std::string& file = "test.svg") {
  const auto art = read_svg(
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#222222">)" +
          body + "</svg>",
      file);
  if (!art) FAIL(line_of(art.error()));
  int id = 0;
  project = add_artwork(std::move(project), *art, file, &id);
  return id;
}

/// A project with the drawing as its one piece.
inline Project project_of(const std::string& body) {
  Project project = new_project("test");
  add_drawing(project, body);
  return project;
}

/// Under sanitizers, which take ten times as long, the two small ones.
inline const std::vector<std::string> kDemos {
  "lighthouse-card", "moorings-tag",
#if !defined(DOTLANE_SANITIZED)
      "stall-sign", "fair-stall",
#endif
};

inline Project demo(const std::string& name) {
  auto project = project_from_json(*read_file(std::string(DOTLANE_DEMO) + "/" + name + ".dotlane"), name);
  if (!project) FAIL(line_of(project.error()));
  return std::move(*project);
}

inline Derived derived(const Project& project) {
  DrawingCache cache;
  return derive(project, cache);
}

inline Drawing drawn(const Project& project) {
  DrawingCache cache;
  return evaluate(project, cache);
}

/// The tight bounds of a piece, recipe and all, on the mat.
inline Box bounds_of_piece(const Project& project, int piece) {
  return tight_bounds(*find_drawn(drawn(project), piece));
}

/// The piece sized as a person would, by itself.
inline Project sized(const Project& project, int piece, std::optional<double> width, std::optional<double> height,
                     Vec anchor = {0, 0}) {
  DrawingCache cache;
  return *size_pieces(project, {piece}, {width, height, anchor}, cache);
}

inline const Finding* finding(const Derived& d, const std::string& code) {
  for (const auto& f : d.findings) {
    if (f.code == code) return &f;
  }
  return nullptr;
}

/// Whether nothing is said but what is worth knowing.
inline bool sound(const Derived& d) { return worst(d.findings).value_or(Severity::info) == Severity::info; }

/// Four inks and a cut, as the main job of a card.
inline Project four_inks() {
  return project_of(R"(<rect id="card" x="20" y="20" width="100" height="70" stroke="#444444"/>
    <path id="night" d="M30 30 h40" stroke="#101010"/><path id="sea" d="M30 40 h40" stroke="#1f6f78"/>
    <path id="sun" d="M30 50 h40" stroke="#e8d21c"/><path id="rust" d="M30 60 h40" stroke="#9c5a2e"/>)");
}

/// The rows of a table of numbers in tests/data; lines that begin with # are remarks.
inline std::vector<std::vector<double>> table(const std::string& name, std::size_t columns) {
  std::ifstream file(std::string(DOTLANE_TEST_DATA) + "/" + name);
  REQUIRE(file);
  std::vector<std::vector<double>> rows;
  for (std::string line; std::getline(file, line);) {
    if (line.empty() || line[0] == '#') continue;
    std::istringstream in(line);
    std::vector<double> row(columns);
    for (double& x : row) in >> x;
    REQUIRE(in);
    rows.push_back(std::move(row));
  }
  return rows;
}

}  // namespace dotlane::test
