// The shapes of tests/data/shape, read once for all tests that try them.
#pragma once

#include <catch2/catch.hpp>
#include <filesystem>
#include <fstream>
#include <nlohmann/json.hpp>
#include <random>

#include "core/geometry/path_data.hpp"
#include "core/geometry/region.hpp"

namespace dotlane::test {

struct ShapeCase {
  std::string name, about;
  std::vector<Ring> subject, clip;
  FillRule rule = FillRule::nonzero;
  double by = 2;
  bool dense = false;
};

inline std::vector<Ring> rings_of(const std::string& d) {
  std::vector<Ring> out;
  const auto path = parse_path_data(d);
  REQUIRE(path);
  for (const auto& contour : path->contours) {
    Ring ring = flatten(contour, 0.001).points;
    while (ring.size() > 1 && distance(ring.front(), ring.back()) < 1e-9) ring.pop_back();
    // On the kernel's grid, so that both sides work on the very same points.
    for (Vec& p : ring) p = {std::round(p.x * 1e6) / 1e6, std::round(p.y * 1e6) / 1e6};
    out.push_back(std::move(ring));
  }
  return out;
}

inline Ring waved(int vertices, double radius, int waves, double rise, double noise, Vec centre) {
  std::mt19937 random(5);
  std::uniform_real_distribution<double> rough(-noise, noise);
  Ring ring;
  for (int i = 0; i < vertices; ++i) {
    const double a = 2 * 3.14159265358979323846 * i / vertices,
                 r = radius + rise * std::sin(waves * a) + (noise > 0 ? rough(random) : 0);
    ring.push_back({centre.x + r * std::cos(a), centre.y + r * std::sin(a)});
  }
  return ring;
}

inline std::vector<ShapeCase> shape_cases() {
  std::vector<ShapeCase> out;
  std::vector<std::filesystem::path> files;
  for (const auto& entry : std::filesystem::directory_iterator(DOTLANE_TEST_DATA "/shape"))
    files.push_back(entry.path());
  std::sort(files.begin(), files.end());
  for (const auto& file : files) {
    std::ifstream in(file);
    const auto json = nlohmann::json::parse(in);
    ShapeCase c;
    c.name = file.stem().string();
    c.about = json["about"];
    c.by = json.value("by", 2.0);
    c.rule = json.value("rule", "nonzero") == "evenodd" ? FillRule::evenodd : FillRule::nonzero;
    if (json.contains("ring")) {
      const auto& r = json["ring"];
      c.dense = true;
      c.subject = {waved(r["vertices"], r["radius"], r["waves"], r["rise"], r["noise"], {150, 150})};
      c.clip = {waved(r["vertices"], r["radius"], r["waves"], r["rise"], r["noise"], {190, 153})};
    } else {
      c.subject = rings_of(json["subject"]);
      c.clip = rings_of(json["clip"]);
    }
    out.push_back(std::move(c));
  }
  return out;
}

}  // namespace dotlane::test
