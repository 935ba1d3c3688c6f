// The logbook as text: JSON lines, with the projects that were kept, and CSV, a row for each run, pass, pause and
// sheet. Both come back exactly as they went.
#pragma once

#include <functional>
#include <string>
#include <string_view>

#include "core/logbook/logbook.hpp"

namespace dotlane {

/// One run on one line, without its id.
[[nodiscard]] std::string json_line(const LoggedRun& run);
[[nodiscard]] Result<LoggedRun> run_from_json(std::string_view line);

/// Everything in the logbook but its pictures: first the projects, each {"project_key", "project"}, then the runs,
/// oldest first.
[[nodiscard]] Result<std::string> export_json(const Logbook& logbook);
/// Takes in what export_json() wrote; runs that are there already are brought up to date. `each` hears after each run
/// that it is kept. Errors name the file and the line; what stood before it is kept.
struct Imported {
  std::size_t runs = 0;
};
[[nodiscard]] Result<Imported> import_json(Logbook& logbook, std::string_view text, const std::string& file_name,
                                           const std::function<void(std::size_t)>& each = {});

/// RFC 4180: the first row names the columns; texts are quoted, numbers are not. Projects are not in it.
[[nodiscard]] std::string to_csv(const std::vector<LoggedRun>& runs);
[[nodiscard]] Result<std::vector<LoggedRun>> from_csv(std::string_view text, const std::string& file_name);

}  // namespace dotlane
