// Where a part lies and what is remembered of it: between the figure and the sheets.
#pragma once

#include "core/layout/parts.hpp"

namespace dotlane {

/// The map from the figure onto the mat that puts the part's centre at the place on the sheet and turns it as it says.
[[nodiscard]] Affine map_of(const Drawing& drawing, const Part& part, const Place& place, const Sheet& sheet);

/// Where a part lies that such a map puts onto the sheet. The copy is 1, nothing is pinned.
[[nodiscard]] Place place_of(const Drawing& drawing, const Part& part, const Affine& map, const Sheet& sheet);

/// The record of a part about which nothing was said yet.
[[nodiscard]] PartRecord record_of(const Drawing& drawing, const Part& part);

/// For each part, the index of the record that is about it, or npos; every record goes to one part at most.
///
/// Within a piece, a part that lies as a record remembers it has that record, whatever its key says: contours are
/// numbered anew when one of them goes. Then keys decide: all was sized alike. What is left goes by centre and area to
/// what is most alike, if it is not farther off than its own size nor more than four times as large or small.
inline constexpr std::size_t npos = static_cast<std::size_t>(-1);
[[nodiscard]] std::vector<std::size_t> match(const Drawing& drawing, const std::vector<Part>& parts,
                                             const std::vector<PartRecord>& records);

/// The records as they would be remembered now: with the keys, centres and areas of the parts that are theirs, so that
/// the next edit finds these again. Those without a part stay while their piece exists, without a line, and go with it.
[[nodiscard]] std::vector<PartRecord> remembered(const Project& project, const Drawing& drawing,
                                                 const std::vector<Part>& parts);

}  // namespace dotlane
