// What was said, as JSON, for those who make the sentence elsewhere or later: {"code":"no-page","figures":{"page":3}}.
#pragma once

#include <nlohmann/json_fwd.hpp>

#include "core/said.hpp"

namespace dotlane {

[[nodiscard]] nlohmann::json from_said(const Said& said);
/// Throws nlohmann::json::exception where it is something else.
[[nodiscard]] Said to_said(const nlohmann::json& json);

}  // namespace dotlane
