// How parts lie on stock, in the .dotlane document: sheets, shelf and what is remembered of parts.
#pragma once

#include "core/format/json_fields.hpp"
#include "core/project/bounds.hpp"
#include "core/project/laying.hpp"

namespace dotlane {

// As in drawings: nothing lies farther from the origin than kFarthestMm, and all sizes follow from it.
[[nodiscard]] inline Said too_far() { return {"too-far", {{"most", kFarthestMm / 1000}}}; }

/// Each throws BadField, with `where` before the field's name.
[[nodiscard]] Sheet read_sheet(const Json& json, const std::string& where);
[[nodiscard]] ShelfItem read_shelf_item(const Json& json, const std::string& where);
[[nodiscard]] LaySettings read_laying(const Json& json, const std::string& where);
[[nodiscard]] PartRecord read_part(const Json& json, const std::string& where);

[[nodiscard]] Json to_value(const Sheet& sheet);
[[nodiscard]] Json to_value(const ShelfItem& item);
[[nodiscard]] Json to_value(const PartRecord& part);
[[nodiscard]] Json to_value(const LaySettings& settings);

}  // namespace dotlane
