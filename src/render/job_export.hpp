// The job as a file: one table of formats by their endings, for window and command line alike.
#pragma once

#include <QImage>
#include <string>
#include <vector>

#include "core/job/gcode.hpp"
#include "render/sheet_export.hpp"

namespace dotlane {

struct ExportOptions {
  ExportSelection selection;
  double px_per_mm = 8;  ///< of pictures
  GcodeProfile gcode{};
};

struct ExportFormat {
  std::vector<std::string> endings;  ///< with their dots, the usual one first
  std::string label;                 ///< for people
  Result<void> (*write)(const Project&, const Derived&, const std::string& path, const ExportOptions&);
};

[[nodiscard]] const std::vector<ExportFormat>& export_formats();
/// All endings in a row, for messages: ".svg, .hpgl, .plt, .pdf or .png".
[[nodiscard]] std::string export_endings();

/// Writes the job in the format of the path's ending. Errors name the file; the file that was there before is then
/// untouched. Pictures and pages need an application object for their fonts.
[[nodiscard]] Result<void> export_job(const Project& project, const Derived& derived, const std::string& path,
                                      const ExportOptions& options = {});

/// Writes a picture as PNG, whole or not at all.
[[nodiscard]] Result<void> write_png(const QImage& image, const std::string& path);

}  // namespace dotlane
