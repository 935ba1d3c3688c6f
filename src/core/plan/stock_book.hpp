// The stock book: what a layout takes of the shelf, what a run uses up and leaves, what it all costs.
#pragma once

#include <vector>

#include "core/plan/plan.hpp"

namespace dotlane {

/// What the sheets of a project take of one thing on the shelf.
struct Reserved {
  int item = 0;     ///< on the shelf
  int sheets = 0;   ///< that are laid from it and will be run
  int missing = 0;  ///< more than there are: to be bought
  friend bool operator==(const Reserved&, const Reserved&) = default;
};
/// Of everything on the shelf, in its order.
[[nodiscard]] std::vector<Reserved> reserved(const Project& project);

/// Sheets that will be run: something of the project lies on them.
[[nodiscard]] std::vector<const LaidSheet*> run_sheets(const Layout& layout);

/// After a run: every sheet that was run is off the shelf, and what is left of it is back, by its outline, with its
/// share of the price. Sheets that nobody took from the shelf leave their rest all the same.
[[nodiscard]] Project use_up(Project project, const Drawing& drawing, const Layout& layout);

/// What a run costs, in hundredths of the user's money, each line rounded, so that they add up.
struct Cost {
  struct Line {
    enum class What { sheet, offcut, wear, work } what = What::sheet;
    std::string name;     ///< of stock or tool
    long hundredths = 0;  ///< an offcut's are below 0
  };
  std::vector<Line> lines;
  [[nodiscard]] long total() const;
};
/// Sheets that have a price, less what is left of them by area; tools that have a price and a life, by metres; minutes
/// at the pay of who works, pauses among them.
[[nodiscard]] Cost cost_of(const Project& project, const Drawing& drawing, const Layout& layout, const Plan& plan);

}  // namespace dotlane
