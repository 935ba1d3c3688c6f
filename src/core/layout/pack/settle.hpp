// The last of a packing: parts are moved together on their outlines, to the gap itself.
#pragma once

#include <functional>

#include "core/layout/pack/packer.hpp"

namespace dotlane::pack {

/// The packing with every part moved up and to the left as far as the gap to the others and the sheet let it, a little
/// at a time, until nothing moves any more. Parts keep their sheets and turns, and come no nearer to each other than
/// the gap, nor to what lies on a sheet already. Where GEOS gives up, the packing as it was.
[[nodiscard]] Packing settled(const Task& task, Packing packing, const std::function<bool()>& stop = {});

/// The largest upright rectangle of the sheet that no part comes nearer to than the gap, in whole steps of `step` mm;
/// an empty box where there is none. `bodies` lie on the sheet, which is `area`. O(cells).
[[nodiscard]] Box largest_clean(const Region& area, const std::vector<Region>& bodies, double gap, double step = 1);

}  // namespace dotlane::pack
