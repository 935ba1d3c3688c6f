// So many of everything: what it takes of the shelf, what has to be bought, what it costs in all and apiece.
#pragma once

#include <functional>

#include "core/plan/stock_book.hpp"

namespace dotlane {

struct Batch {
  int copies = 1;
  /// Sheets of one kind that are wanted.
  struct Need {
    std::string stock;  ///< for people
    Vec size_mm;
    bool scrap = false;
    int item = 0;      ///< on the shelf; 0: the shelf has nothing of the stock
    int sheets = 0;    ///< that are cut
    int missing = 0;   ///< of them, to be bought
    double price = 0;  ///< of one; 0: nobody said
  };
  std::vector<Need> needs;
  std::size_t waiting = 0;  ///< parts that go onto no sheet, however many there are
  Cost cost;                ///< of all copies; sheets without a price are not in it
  double seconds = 0;       ///< hands and machine
  /// What is to be bought, in hundredths; sheets without a price are not in it.
  [[nodiscard]] long to_pay() const;
  /// Whether the cost lacks the price of some sheet.
  [[nodiscard]] bool unpriced() const;
};

/// Packs so many times what the project makes (copies of parts are copied) onto what is on the shelf, scraps first,
/// then onto as many more sheets of it as that takes, and plans it. `seconds` is how long to look for a better packing.
/// A stopped one is not whole.
[[nodiscard]] Batch batch_of(const Project& project, const Drawing& drawing, int copies, double seconds,
                             const std::function<bool()>& stop = {});

/// Each kind of cost in all, in the order of Cost::Line::What, in hundredths.
[[nodiscard]] std::vector<std::pair<Cost::Line::What, long>> by_kind(const Cost& cost);

}  // namespace dotlane
