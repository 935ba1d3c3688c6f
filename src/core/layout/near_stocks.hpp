// Stocks of nearly the same colour: what each carries, and the sheets that are saved where they are one.
#pragma once

#include <string>
#include <vector>

#include "core/layout/layout.hpp"

namespace dotlane {

struct NearStocks {
  std::string keep, other;  ///< stock ids; more of the figure is of the first
  double difference = 0;    ///< CIEDE2000
  struct Bit {
    std::size_t part = 0;  ///< index in Layout::parts
    double area_mm2 = 0;
    Vec at;  ///< its middle in the figure, mm
  };
  std::vector<Bit> bits;  ///< the parts of the other stock, smallest first: strays and forgotten bits come to light
  std::size_t sheets = 0, sheets_united = 0;  ///< of both together, by a first good packing
};

/// Pairs of stocks with parts on them whose colours differ by less than `within` (CIEDE2000), of about the same
/// thickness, nearest first; a stock that gives way does so once.
[[nodiscard]] std::vector<NearStocks> near_stocks(const Project& project, const Drawing& drawing, const Layout& layout,
                                                  double within = 5);
/// Every piece of the other stocks on the kept ones.
[[nodiscard]] Project unite_stocks(Project project, const std::vector<NearStocks>& pairs);

}  // namespace dotlane
