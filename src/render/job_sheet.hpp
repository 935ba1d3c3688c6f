// The job sheet: what a helper needs who never saw the screen. Time, stock, passes, what hands do and when, cautions;
// then every sheet at true scale, its lines in the patterns of their roles.
#pragma once

#include <QString>

#include "core/road.hpp"
#include "render/guide.hpp"

namespace dotlane {

/// What stands on it before the sheets, as HTML of the simple kind: headings, tables, lists.
[[nodiscard]] QString job_sheet_text(const Project& project, const Derived& derived);

/// Pages of text, then one page a sheet, as large as the sheet. Says how many pages there are.
[[nodiscard]] Result<int> write_job_sheet_pdf(const Project& project, const Derived& derived, const std::string& path,
                                              const Paper& paper = {});
/// One file, pictures and all; printed at 100 % the sheets are true to scale.
[[nodiscard]] Result<void> write_job_sheet_html(const Project& project, const Derived& derived,
                                                const std::string& path);

}  // namespace dotlane
