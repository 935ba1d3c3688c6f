#include "render/sheet_export.hpp"

#include <QBuffer>
#include <QPageLayout>
#include <QPainter>
#include <QPdfWriter>
#include <set>
#include <tuple>

#include "core/format/files.hpp"
#include "core/text_scan.hpp"
#include "render/paint.hpp"
#include "render/role_style.hpp"

namespace dotlane {
namespace {

constexpr double kMargin = 10;

}  // namespace

Drawing shown_drawing(const Derived& derived, const ExportSelection& selection) {
  std::set<std::tuple<std::size_t, int, std::size_t>> wanted;  // laid part, piece and line
  for (const auto& pass : derived.plan.passes) {
    if (!selection.takes(pass)) continue;
    for (const auto& stroke : pass.strokes) wanted.insert({stroke.laid, stroke.piece, stroke.line});
  }
  Layout shown;
  for (const auto& placed : derived.layout.sheets) {
    if (selection.sheet != 0 && placed.sheet.id != selection.sheet) continue;
    LaidSheet& sheet = shown.sheets.emplace_back(LaidSheet{placed.sheet, {}});
    for (const auto& laid : placed.pieces) {
      auto piece = std::make_shared<DrawnPiece>(*laid.drawn);
      if (derived.plan.mirrored) {
        piece->map = Affine{-1, 0, 0, 1, placed.sheet.area.x0 + placed.sheet.area.x1, 0} * piece->map;
        find_bounds(*piece);
      }
      if (selection.pass != 0) {
        auto flat = std::make_shared<FlatPiece>(*piece->flat);
        for (std::size_t i = 0; i < flat->lines.size(); ++i) {
          const auto& all = *flat->lines[i].polylines;
          std::vector<Polyline> kept;
          for (std::size_t c = 0; c < all.size(); ++c) {
            if (wanted.contains({(*laid.laid)[i][c], piece->piece->id, i})) kept.push_back(all[c]);
          }
          if (kept.size() < all.size()) flat->lines[i].polylines = std::move(kept);
        }
        piece->flat = flat;
      }
      sheet.pieces.push_back({std::move(piece), laid.layer, nullptr});
    }
  }
  return shown.on_mats(0);
}

QImage sheet_image(const Project& project, const Derived& derived, const ExportSelection& selection, double px_per_mm) {
  const Theme& theme = light_theme();
  const Sheet* one = find_sheet(project, selection.sheet);
  const Box area = one ? one->area : project.machine.mat_area();
  View view{px_per_mm, QPointF(-area.x0, -area.y0) * px_per_mm};
  QImage image(std::max(1, static_cast<int>(std::ceil(area.width() * px_per_mm))),
               std::max(1, static_cast<int>(std::ceil(area.height() * px_per_mm))), QImage::Format_RGB32);
  const int dots_per_metre = static_cast<int>(std::lround(px_per_mm * 1000));
  image.setDotsPerMeterX(dots_per_metre);
  image.setDotsPerMeterY(dots_per_metre);
  image.fill(theme.ground);
  QPainter p(&image);
  if (!one) paint_mat(p, view, project.machine, theme, {});
  paint_sheets(p, view, project, one ? one->load : 0, Space::mat, theme);
  if (!one) paint_usable_area(p, view, project.machine, theme);
  paint_lines(p, view, project, shown_drawing(derived, selection), theme, {});
  return image;
}

QImage outcome_image(const Project& project, const RunRecord& record, const Sheet& sheet, double px_per_mm,
                     const Print* print, const Affine& lies) {
  const Theme& theme = light_theme();
  const View view{px_per_mm, QPointF(-sheet.area.x0, -sheet.area.y0) * px_per_mm};
  QImage image(std::max(1, static_cast<int>(std::ceil(sheet.area.width() * px_per_mm))),
               std::max(1, static_cast<int>(std::ceil(sheet.area.height() * px_per_mm))), QImage::Format_RGB32);
  const Stock* stock = find_stock(project, sheet.stock);
  image.fill(stock ? to_qcolor(stock->color) : theme.field);
  QPainter p(&image);
  if (print) print->paint(p, view, sheet.id, lies);
  paint_marks(p, view, project, record, sheet.load, theme);
  return image;
}

std::string run_picture(const Project& project, const Derived* derived, const RunRecord& record) {
  constexpr double kWide = 320, kHigh = 208;  // px
  const auto marked = [&](const Sheet& sheet) {
    return std::any_of(record.marks.begin(), record.marks.end(), [&](const Mark& mark) {
      return mark.mat == sheet.load && !mark.points.empty() && sheet.area.contains(mark.points.front());
    });
  };
  const auto at = std::find_if(project.sheets.begin(), project.sheets.end(), marked);
  QImage image;
  if (at != project.sheets.end()) {
    const double scale = std::min(kWide / at->area.width(), kHigh / at->area.height());
    image = outcome_image(project, record, *at, scale);
  } else if (derived && !derived->plan.passes.empty()) {
    const Sheet* sheet = find_sheet(project, derived->plan.passes.front().sheet);
    if (!sheet) return {};
    const double scale = std::min(kWide / sheet->area.width(), kHigh / sheet->area.height());
    image = sheet_image(project, *derived, {sheet->id, 0}, scale);
  }
  if (image.isNull()) return {};
  QByteArray bytes;
  QBuffer buffer(&bytes);
  buffer.open(QIODevice::WriteOnly);
  image.save(&buffer, "PNG");
  return bytes.toStdString();
}

QSizeF sheet_page(const Sheet& sheet) { return {sheet.area.width() + 2 * kMargin, sheet.area.height() + 2 * kMargin}; }

void paint_sheet_page(QPainter& p, const Project& project, const Derived& derived, const Sheet& sheet, int pass,
                      double px_per_mm) {
  const View view{px_per_mm, QPointF(kMargin - sheet.area.x0, kMargin - sheet.area.y0) * px_per_mm};
  // Patterns are in pen widths; a true-scale page wants pens in mm, so a hair's width stands in for the screen's px.
  p.setPen(QPen(QColor("#8B857B"), 0.1 * px_per_mm));
  p.setBrush(Qt::NoBrush);
  p.drawRect(view.to_px(sheet.area));
  const Drawing drawing = shown_drawing(derived, {sheet.id, pass});
  for (const auto& piece : drawing.pieces) {
    for (std::size_t l = 0; l < piece->flat->lines.size(); ++l) {
      const Line& line = piece->piece->lines[l];
      const Tool* tool = find_tool(project, line.tool);
      QPen pen(
          line.role == Role::draw && tool ? to_qcolor(tool->ink) : line_color(line.role, line.color, {255, 255, 255}),
          0.2 * px_per_mm);
      if (line.role == Role::score) pen.setDashPattern({15, 10});
      if (line.role == Role::engrave) pen.setDashPattern({2, 4});
      if (line.role == Role::emboss) pen.setDashPattern({12, 4, 2, 4});
      if (line.role == Role::guide) pen.setDashPattern({1, 10});
      pen.setCapStyle(Qt::FlatCap);
      p.setPen(pen);
      for (std::size_t c = 0; c < piece->flat->lines[l].polylines->size(); ++c) {
        QPolygonF polygon;
        for (const Vec q : piece->course(l, c).points) polygon.append(view.to_px(q));
        p.drawPolyline(polygon);
      }
    }
  }
  QFont font = ui_font(12);
  font.setPixelSize(static_cast<int>(3 * px_per_mm));
  p.setFont(font);
  p.setPen(QPen(light_theme().ink, 0.2 * px_per_mm));
  const double y = (sheet.area.height() + 2 * kMargin - 3.5) * px_per_mm, x0 = kMargin * px_per_mm;
  p.drawLine(QPointF(x0, y), QPointF(x0 + 50 * px_per_mm, y));
  const Stock* stock = find_stock(project, sheet.stock);
  p.drawText(QPointF(x0 + 53 * px_per_mm, y + px_per_mm),
             QStringLiteral("50 mm  ·  %1  ·  %2, %3 x %4 mm%5")
                 .arg(QString::fromStdString(project.name), QString::fromStdString(stock ? stock->name : std::string()),
                      QString::fromStdString(rounded_text(sheet.area.width(), 1)),
                      QString::fromStdString(rounded_text(sheet.area.height(), 1)),
                      derived.plan.mirrored ? QStringLiteral("  ·  mirrored") : QString()));
}

Result<void> write_sheet_pdf(const Project& project, const Derived& derived, const ExportSelection& selection,
                             const QString& path) {
  // Written to memory first: the file is replaced whole or not at all.
  QBuffer buffer;
  buffer.open(QIODevice::WriteOnly);
  QPdfWriter pdf(&buffer);
  pdf.setResolution(1200);
  pdf.setTitle(QString::fromStdString(project.name));
  pdf.setCreator(QStringLiteral("Dot Lane"));
  std::vector<Sheet> sheets;
  for (const auto& sheet : project.sheets) {
    if (selection.sheet == 0 || sheet.id == selection.sheet) sheets.push_back(sheet);
  }
  if (sheets.empty()) return fail(ErrorKind::bad_request, {"no-sheet-for-page"}, path.toStdString());
  QPainter p;
  const double px_per_mm = 1200 / kMmPerInch;
  for (std::size_t i = 0; i < sheets.size(); ++i) {
    const Sheet& sheet = sheets[i];
    const QSizeF page = sheet_page(sheet);
    pdf.setPageLayout(QPageLayout(QPageSize(page, QPageSize::Millimeter, {}, QPageSize::ExactMatch),
                                  QPageLayout::Portrait, {}, QPageLayout::Millimeter));
    if (i == 0) {
      if (!p.begin(&pdf)) return fail(ErrorKind::unreadable, {"pages-not-made"}, path.toStdString());
    } else {
      pdf.newPage();
    }
    paint_sheet_page(p, project, derived, sheet, selection.pass, px_per_mm);
  }
  if (!p.end()) return fail(ErrorKind::unreadable, {"pages-not-made"}, path.toStdString());
  return write_file(path.toStdString(), {buffer.data().constData(), static_cast<std::size_t>(buffer.data().size())});
}

}  // namespace dotlane
