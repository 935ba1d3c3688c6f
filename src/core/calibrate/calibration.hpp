// Calibration: sheets that show how tools, stock and machine really are, as ready projects, and what is read off them.
//
// A sheet is run like any other project, with what is known so far: what is seen on it is what is still missing, so a
// sheet that is run once more shows what is left. What is read goes back into the tools, the stock and the machine of
// a project.
#pragma once

#include <array>
#include <map>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/project/project.hpp"
#include "core/said.hpp"

namespace dotlane {

enum class Calibration {
  tip_contact,  ///< where tips touch beside the middle of their holder: a box with rulers for each, a cross in it
  line_width,   ///< how wide a line is: pairs of lines ever farther apart, each made in one go
  fill_swatch,  ///< how close the strokes of a fill must be: squares by spacing and angle
  tip_wear,     ///< how far a tool marks: one long line in rows
  force_depth,  ///< what a blade needs for a stock: a square for each force and depth
  scale,        ///< how long 200 mm are, both ways
  mat_cross,    ///< where the head really is: a cross where lines of the mat cross
  landing,      ///< how far off tools land: twenty times onto one point, at four places
};
inline constexpr std::array kCalibrations{Calibration::tip_contact, Calibration::line_width,  Calibration::fill_swatch,
                                          Calibration::tip_wear,    Calibration::force_depth, Calibration::scale,
                                          Calibration::mat_cross,   Calibration::landing};
/// As the command line says it: "tip-contact".
[[nodiscard]] std::string_view word(Calibration kind);
[[nodiscard]] std::optional<Calibration> calibration_from(std::string_view word);

[[nodiscard]] Said title_of(Calibration kind);
/// What is on it, and how it is read.
[[nodiscard]] Said about(Calibration kind);

/// Which sheet, and of what.
struct CalibrationOf {
  Calibration kind = Calibration::tip_contact;
  std::string tool;                 ///< rack id; of tip_contact: the one that draws boxes and rulers
  std::vector<std::string> others;  ///< of tip_contact: whose tips are looked at
  std::string stock;
};
/// The tools that can be looked at by such a sheet; of tip_contact the first draws the boxes. Empty: there is none.
[[nodiscard]] std::vector<std::string> tools_for(const Project& project, Calibration kind);
/// With what nobody has said yet filled in: the first tool that suits, all others, the stock at hand.
[[nodiscard]] Result<CalibrationOf> settled(const Project& project, CalibrationOf of);

/// The sheet as a project of its own, with the tools, stocks and machine of this one. Errors name what it cannot be
/// made of.
[[nodiscard]] Result<Project> calibration_sheet(const Project& project, const CalibrationOf& of);

/// One thing to read off a sheet.
struct ReadingField {
  std::string key;  ///< "x", or "pen-red.x"
  Said said;        ///< what it is
  double low = 0, high = 0;
  bool length = true;  ///< mm; else a plain number
};
[[nodiscard]] std::vector<ReadingField> reading_fields(const Project& project, const CalibrationOf& of);

using Readings = std::map<std::string, double>;
/// The project with what was read taken over. Fields that were not read stay as they are. Errors name the field.
[[nodiscard]] Result<Project> with_readings(Project project, const CalibrationOf& of, const Readings& readings);

/// What sheets and readings agree on; mm.
inline constexpr double kRulerReach = 6;  // of the rulers of a tip's box, each way
inline constexpr double kScaleLength = 200;
inline constexpr int kLandings = 20;
inline constexpr int kLandingPoints = 4;
/// How far apart the lines of the nth pair are, from 1, and how many pairs there are: from half to 1.6 times the tip.
[[nodiscard]] double pair_apart(double tip_width_mm, int n);
inline constexpr int kPairs = 23;
/// Of the nth swatch, from 1: half the tip to one and a half of it.
[[nodiscard]] double swatch_spacing(double tip_width_mm, int n);
inline constexpr int kSwatches = 11;
inline constexpr std::array kSwatchAngles{0, 45, 90, 135};
/// The line of tip_wear: rows of this length, every tenth longer, so far apart.
struct WearRows {
  double row_mm = 250, tenth_mm = 6, apart_mm = 1;
  int rows = 100;
  /// What has been marked after so many rows, m.
  [[nodiscard]] double metres(double rows_done) const;
};
[[nodiscard]] WearRows wear_rows(const Machine& machine, const Tool& tool);
/// Forces, gf, and depth marks that are tried, about those that the stock has now.
struct TestGrid {
  std::vector<double> forces, depths;
};
[[nodiscard]] TestGrid test_grid(const Machine& machine, const Stock& stock, const Tool& blade);

}  // namespace dotlane
