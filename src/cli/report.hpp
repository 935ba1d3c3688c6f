// What the commands print, as JSON or as text for people.
#pragma once

#include <nlohmann/json.hpp>
#include <string>

#include "core/job/off_print.hpp"
#include "core/job/run_record.hpp"
#include "core/layout/parts.hpp"
#include "core/project/artwork.hpp"
#include "core/road.hpp"

namespace dotlane::cli {

using Json = nlohmann::ordered_json;

/// `art` is what a drawing file said of its size; null for a project.
[[nodiscard]] Json inspect_report(const Project& project, const Derived& derived, const Artwork* art);
[[nodiscard]] Json parts_report(const Drawing& drawing, const std::vector<Part>& parts);
[[nodiscard]] Json plan_report(const Plan& plan);
[[nodiscard]] Json findings_report(const std::vector<Finding>& findings);
[[nodiscard]] Json run_report(const RunRecord& record, const Plan& plan);
/// How printed sheets lay, were found, and how far the marks are off the print.
[[nodiscard]] Json printed_report(const Project& project, const Plan& plan, const RunRecord& record,
                                  const std::vector<PrintedSheet>& printed);

[[nodiscard]] std::string inspect_text(const Json& report);
[[nodiscard]] std::string parts_text(const Project& project, const std::vector<Part>& parts);
[[nodiscard]] std::string plan_text(const Project& project, const Plan& plan);
[[nodiscard]] std::string findings_text(const std::vector<Finding>& findings);
[[nodiscard]] std::string run_text(const Json& report);

}  // namespace dotlane::cli
