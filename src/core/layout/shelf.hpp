// The shelf: what is owned, what is left over of sheets, and scraps by their outline.
#pragma once

#include <string>

#include "core/error.hpp"
#include "core/geometry/region.hpp"
#include "core/layout/layout.hpp"

namespace dotlane {

/// Puts it on the shelf under an id of its own, which is returned.
int add_to_shelf(Project& project, ShelfItem item);
/// Takes it off the shelf; sheets that lie on mats stay.
[[nodiscard]] Project remove_from_shelf(Project project, int item);

/// A scrap with this outline, mm wherever it likes: its box, and the outline from the box's top left corner, thinned to
/// a tenth of a millimetre. Where it has no area, one without an outline and of no size.
[[nodiscard]] ShelfItem scrap_of(const Region& area, const std::string& stock, const std::string& from);

/// The outline that was typed: the corners' x and y in mm, "0,0 120,0 120,80 40,110". Fails with what is wrong.
[[nodiscard]] Result<Region> outline_from(const std::string& text);
/// As it is typed, in tenths of a millimetre, holes after a semicolon.
[[nodiscard]] std::string text_of(const Outline& outline);

/// What is left of a sheet: all of it that no part comes nearer to than the gap, without what is narrower than 10 mm,
/// mm on the mat. The largest piece of it, where it falls apart.
[[nodiscard]] Region rest_of(const Project& project, const Drawing& drawing, const Layout& layout, const Sheet& sheet);

/// Puts the sheet's largest clean rectangle on the shelf, or all of its rest by its outline. The project as it was
/// where nothing is left.
[[nodiscard]] Project keep_offcut(Project project, const Drawing& drawing, const Layout& layout, int sheet);
[[nodiscard]] Project keep_rest(Project project, const Drawing& drawing, const Layout& layout, int sheet);

/// Lays a sheet of it onto a mat load of its own, where tools reach all of it if that can be.
[[nodiscard]] Project lay_from_shelf(Project project, int item);
/// A sheet of this size in its place on the mat: where tools reach all of it if that can be, else in the middle.
[[nodiscard]] Box place_on(const Machine& machine, double width_mm, double height_mm);
/// Takes the sheet off its mat: what lies on it waits, but for what lies as drawn on another sheet then.
[[nodiscard]] Project remove_sheet(Project project, int sheet);

/// Everything on the other project's shelf that is not on this one's, with the stocks it takes.
[[nodiscard]] Project take_shelf(Project project, const Project& other);

}  // namespace dotlane
