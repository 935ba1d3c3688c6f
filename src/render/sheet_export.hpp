// Pictures and true-scale pages of the sheets.
#pragma once

#include <QImage>
#include <QSizeF>
#include <QString>

#include "core/error.hpp"
#include "core/format/svg_writer.hpp"
#include "core/job/run_record.hpp"
#include "core/road.hpp"
#include "render/print_sheet.hpp"

namespace dotlane {

/// The mat with everything on it, or one sheet of it, at `px_per_mm`. Lines are shown in their role's pattern.
[[nodiscard]] QImage sheet_image(const Project& project, const Derived& derived, const ExportSelection& selection,
                                 double px_per_mm);

/// One sheet as it comes out of the cutter: what the record says was marked, at tip width, on the stock's colour, over
/// its print where it `lies`, if there is one.
[[nodiscard]] QImage outcome_image(const Project& project, const RunRecord& record, const Sheet& sheet,
                                   double px_per_mm, const Print* print = nullptr, const Affine& lies = {});
/// PNG of what a run left on its first sheet with marks, about 320 px wide, for the logbook; of what was planned where
/// the cutter told no marks (`derived` may be null: then nothing).
[[nodiscard]] std::string run_picture(const Project& project, const Derived* derived, const RunRecord& record);

/// A PDF with one page a sheet, at true scale, vector lines; the page is as large as the sheet plus 10 mm around it,
/// with a 50 mm check line and the figures in the margin. Mirrored when the plan is.
[[nodiscard]] Result<void> write_sheet_pdf(const Project& project, const Derived& derived,
                                           const ExportSelection& selection, const QString& path);

/// The page of a sheet, mm, and painting it: outline, lines in their role's pattern, the check line. `pass` as in
/// ExportSelection.
[[nodiscard]] QSizeF sheet_page(const Sheet& sheet);
void paint_sheet_page(QPainter& painter, const Project& project, const Derived& derived, const Sheet& sheet, int pass,
                      double px_per_mm);

/// The lines that the selection takes, mirrored when the plan is: what a picture of it shows.
[[nodiscard]] Drawing shown_drawing(const Derived& derived, const ExportSelection& selection);

}  // namespace dotlane
