// Packing the parts of a project: what is to be packed and onto what, and the project as it is packed.
#pragma once

#include <functional>
#include <string>
#include <vector>

#include "core/layout/layout.hpp"
#include "core/layout/pack/packer.hpp"

namespace dotlane {

struct NestOptions {
  double gap_mm = 2;  ///< kept between parts
  /// Degrees counter-clockwise from upright that are allowed; a grain allows its own two.
  std::vector<double> turns{0};
  unsigned seed = 1;
  /// Only these copies, by their indices in Layout::laid, and what is kept together with them; everything else stays
  /// where it is and in the way. Empty: all that is not pinned.
  std::vector<std::size_t> only{};
  int onto = 0;  ///< the sheet they are to go onto; 0: any
};
/// As the project says.
[[nodiscard]] NestOptions nest_options(const Project& project);

/// The copies of parts of one stock, and the sheets they may go onto.
struct Nest {
  std::string stock;
  pack::Task task;
  std::vector<std::vector<std::size_t>> laid;  ///< of each item, what is moved as one: indices in Layout::laid
  bool some = false;                           ///< the rest of the stock stays as it is
  std::vector<Sheet> sheets;  ///< of each stand, the sheet as it would lie; those in the project already have an id
};

/// The turns of a whole circle in steps of so many degrees; of 0 or more than 180, none but upright.
[[nodiscard]] std::vector<double> turns_in_steps(double degrees);
/// Of these turns, those that the stock's grain allows: along it, to both ends where parts may be turned at all.
[[nodiscard]] std::vector<double> allowed_turns(const Stock* stock, const std::vector<double>& turns);

/// All copies of the stock's parts but the pinned ones and what is kept together with these, which stay on their sheets
/// and in the way; what is kept together lies as in the figure. Scraps on the shelf
/// come first, smallest first, then the sheets on the shelf; where the shelf has nothing of the stock, sheets like its
/// first one, as many as are wanted. Tools reach what lies within the machine's usable area.
[[nodiscard]] Nest nest_of(const Project& project, const Drawing& drawing, const Layout& layout,
                           const std::string& stock, const NestOptions& options);

/// The project with the packing: sheets with nothing pinned give way to those that are used, each on a mat load of its
/// own; what found no room waits. The stock is laid out `packed` from then on.
[[nodiscard]] Project nested(Project project, const Drawing& drawing, const Layout& layout, const Nest& nest,
                             const pack::Packing& packing);

/// Lays these copies, by their indices in Layout::laid, where room is left, with the gap and the turns that the project
/// says. What finds none on any sheet waits; asked to go onto the sheet `onto`, everything stays where it is unless all
/// find room there.
[[nodiscard]] Project find_room(const Project& project, const Drawing& drawing, const Layout& layout,
                                const std::vector<std::size_t>& laid, int onto = 0);

/// The copies, by their indices in Layout::laid, moved up and to the left on their sheets as far as the gap to the
/// others lets them; all that are not pinned where none is named. What they are kept together with stays where it is.
[[nodiscard]] Project pushed_together(Project project, const Drawing& drawing, const Layout& layout, double gap_mm,
                                      const std::vector<std::size_t>& laid = {},
                                      const std::function<bool()>& stop = {});

/// The parts of every stock packed, for so many seconds at most, or as long as the first answers take.
struct Nested {
  Project project;
  std::size_t sheets = 0;
  double parts_mm2 = 0, used_mm2 = 0;  ///< see pack::Packing
  [[nodiscard]] double density() const { return used_mm2 > 0 ? parts_mm2 / used_mm2 : 0; }
};
/// `enough` ends the search with the best there is, `tell` hears of sheets and density so far, `quit` leaves off at
/// once.
struct NestWatch {
  pack::Packer::Stop enough, quit;
  std::function<void(std::size_t sheets, double density)> tell;
};
[[nodiscard]] Nested nest_all(const Project& project, const Drawing& drawing, const Layout& layout,
                              const NestOptions& options, double seconds, const NestWatch& watch = {});

/// What came of laying out a stock.
struct SheetUse {
  int sheet = 0;
  std::vector<std::size_t> laid;  ///< indices in Layout::laid
  double used = 0;                ///< share of the sheet's area that parts take
  Box offcut;                     ///< mm on the mat: the largest clean rectangle
};
[[nodiscard]] SheetUse use_of(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet,
                              double gap_mm);

}  // namespace dotlane
