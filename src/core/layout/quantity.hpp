// How much stock off a roll or bolt a project takes.
#pragma once

#include <functional>
#include <optional>
#include <string>

#include "core/layout/layout.hpp"

namespace dotlane {

struct QuantityOptions {
  double wide_mm = 1100;          ///< across the bolt, all of which is used
  int copies = 1;                 ///< of everything, times the copies that each part has
  int layers = 1;                 ///< cut at once, folded or stacked
  std::optional<double> shrinks;  ///< share of its length that it loses before it is cut; nothing: as the stock says
  double gap_mm = 2;              ///< between parts
  bool fused_only = false;        ///< only parts with a fused edge: for the web on their backs
};

struct Quantity {
  std::size_t parts = 0;     ///< in all layers
  std::size_t piles = 0;     ///< parts of one layer: what is cut
  double packed_mm = 0;      ///< length of one layer
  double length_mm = 0;      ///< to buy: all layers, with what they shrink by
  double used = 0;           ///< share of the packed length that parts take up
  std::size_t too_wide = 0;  ///< parts of one layer that no turn lets fit across; in none of the lengths
};

/// Of one stock, with its parts' grain along the bolt where it has one. The length is found by halving, packed each
/// time: one that will do, not the least there is; a large batch is packed in equal lots that lie one after the other.
/// Stopped, it gives up after the packing that is under way, and what it returns is of no use.
[[nodiscard]] Quantity quantity_of(const Project& project, const Drawing& drawing, const Layout& layout,
                                   const std::string& stock, const QuantityOptions& options,
                                   const std::function<bool()>& stop = {});

}  // namespace dotlane
