#include "render/job_export.hpp"

#include <QBuffer>

#include "core/format/dxf_writer.hpp"
#include "core/format/files.hpp"
#include "core/job/hpgl.hpp"
#include "core/plan/selection.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

Result<void> svg(const Project& p, const Derived& d, const std::string& path, const ExportOptions& o) {
  return write_file(path, write_svg(p, d.layout, d.plan, o.selection));
}
Result<void> dxf(const Project& p, const Derived& d, const std::string& path, const ExportOptions& o) {
  return write_file(path, write_dxf(p, d.layout, d.plan, o.selection));
}
Result<void> hpgl(const Project& p, const Derived& d, const std::string& path, const ExportOptions& o) {
  return write_file(path, hpgl_of(compile(select(d.plan, o.selection), p.machine)).text);
}
Result<void> gcode(const Project& p, const Derived& d, const std::string& path, const ExportOptions& o) {
  return write_file(path, gcode_of(compile(select(d.plan, o.selection), p.machine), o.gcode).text);
}
Result<void> pdf(const Project& p, const Derived& d, const std::string& path, const ExportOptions& o) {
  return write_sheet_pdf(p, d, o.selection, QString::fromStdString(path));
}
Result<void> png(const Project& p, const Derived& d, const std::string& path, const ExportOptions& o) {
  return write_png(sheet_image(p, d, o.selection, o.px_per_mm), path);
}

}  // namespace

const std::vector<ExportFormat>& export_formats() {
  static const std::vector<ExportFormat> formats{
      {{".svg"}, QT_TRANSLATE_NOOP("core", "SVG, one group a pass"), svg},
      {{".dxf"}, QT_TRANSLATE_NOOP("core", "DXF, one layer a role"), dxf},
      {{".hpgl", ".plt"}, QT_TRANSLATE_NOOP("core", "HPGL for a cutter"), hpgl},
      {{".gcode", ".nc"}, QT_TRANSLATE_NOOP("core", "G-code"), gcode},
      {{".pdf"}, QT_TRANSLATE_NOOP("core", "True-scale pages"), pdf},
      {{".png"}, QT_TRANSLATE_NOOP("core", "Picture of the sheets"), png}};
  return formats;
}

std::string export_endings() {
  std::vector<std::string> all;
  for (const auto& format : export_formats()) all.insert(all.end(), format.endings.begin(), format.endings.end());
  std::string out;
  for (std::size_t i = 0; i < all.size(); ++i) out += (i == 0 ? "" : i + 1 < all.size() ? ", " : " or ") + all[i];
  return out;
}

Result<void> export_job(const Project& project, const Derived& derived, const std::string& path,
                        const ExportOptions& options) {
  const std::string lower = lower_case(path);
  for (const auto& format : export_formats()) {
    for (const auto& ending : format.endings) {
      if (lower.ends_with(ending)) return format.write(project, derived, path, options);
    }
  }
  return fail(ErrorKind::bad_request, {"choose-ending", {{"endings", export_endings()}}}, path);
}

Result<void> write_png(const QImage& image, const std::string& path) {
  QBuffer buffer;
  buffer.open(QIODevice::WriteOnly);
  if (image.isNull() || !image.save(&buffer, "PNG")) return fail(ErrorKind::unsupported, {"picture-not-made"}, path);
  return write_file(path, {buffer.data().constData(), static_cast<std::size_t>(buffer.data().size())});
}

}  // namespace dotlane
