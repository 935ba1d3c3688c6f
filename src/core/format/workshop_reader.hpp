// What the workshop has, in the .dotlane document: tools, stocks, the machine.
#pragma once

#include "core/format/json_fields.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// Each throws BadField, with `where` before the field's name.
[[nodiscard]] Role read_role(const Json& json, const std::string& where);
[[nodiscard]] Tool read_tool(const Json& json, const std::string& where);
[[nodiscard]] Stock read_stock(const Json& json, const std::string& where);
/// What is not said stays as it is.
void read_machine(Machine& machine, const Json& json, const std::string& where);

}  // namespace dotlane
