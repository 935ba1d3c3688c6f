#include "render/print_sheet.hpp"

#include <QBuffer>
#include <QPageLayout>
#include <QPainterPath>
#include <QPdfWriter>
#include <algorithm>

#include "core/format/files.hpp"
#include "core/text_scan.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

const LaidSheet* laid_sheet(const Derived& derived, int sheet) {
  const auto& all = derived.layout.sheets;
  const auto at = std::find_if(all.begin(), all.end(), [&](const LaidSheet& s) { return s.sheet.id == sheet; });
  return at == all.end() ? nullptr : &*at;
}

/// The page: print and marks, and between the lower ones how it is to be printed.
void paint_page_of(QPainter& p, const Print& print, const LaidSheet& laid, double px_per_mm) {
  const Box& area = laid.sheet.area;
  const View view{px_per_mm, QPointF(-area.x0, -area.y0) * px_per_mm};
  print.paint(p, view, laid.sheet.id, {});
  const auto marks = marks_of(print.of().project, laid.sheet);
  if (!marks) return;
  const Vec left = marks->dots[3], right = marks->dots[2];
  const double y = std::min(left.y + kMarkDot / 2 + kMarkQuiet, area.y1 - 4);
  const auto number = static_cast<int>(&laid - print.of().layout.sheets.data()) + 1;
  QFont font = ui_font(1);
  font.setPixelSize(std::max(1, static_cast<int>(2.6 * px_per_mm)));
  p.setFont(font);
  p.setPen(QColor(0x70, 0x70, 0x70));
  const QRectF box(view.to_px(Vec{left.x + 12, y - 4}), view.to_px(Vec{right.x - 12, y}));
  // The line to measure by lies beside the words: 50 mm.
  const QPointF from = view.to_px(Vec{left.x + 12, y - 2});
  if (right.x - left.x < 150) return;
  p.drawLine(from, from + QPointF(50 * px_per_mm, 0));
  p.drawText(box.adjusted(53 * px_per_mm, 0, 0, 0), Qt::AlignLeft | Qt::AlignVCenter,
             p.fontMetrics().elidedText(QObject::tr("50 mm: print at 100 %.  %1, sheet %2")
                                            .arg(QString::fromStdString(print.of().project.name))
                                            .arg(number),
                                        Qt::ElideRight, static_cast<int>(box.width() - 53 * px_per_mm)));
}

}  // namespace

bool Print::has(int sheet) const {
  const LaidSheet* laid = laid_sheet(*derived_, sheet);
  return laid && laid->sheet.printed;
}

bool Print::any() const {
  return std::any_of(derived_->layout.sheets.begin(), derived_->layout.sheets.end(),
                     [](const LaidSheet& s) { return s.sheet.printed; });
}

const std::vector<PrintShape>& Print::art(const LaidSheet& sheet) const {
  const std::lock_guard lock(mutex_);
  const auto [at, fresh] = art_.try_emplace(sheet.sheet.id);
  if (fresh) {
    const Affine printed = onto_print(derived_->project, sheet.sheet);
    at->second = print_art(derived_->project, derived_->layout, sheet);
    for (auto& shape : at->second) {
      shape.area = transformed(shape.area, printed);
      if (shape.picture) shape.picture->onto = printed * shape.picture->onto;
    }
  }
  return at->second;
}

void Print::paint(QPainter& p, const View& view, int sheet, const Affine& lies) const {
  const LaidSheet* laid = laid_sheet(*derived_, sheet);
  if (!laid || !laid->sheet.printed) return;
  p.save();
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(Qt::NoPen);
  for (const auto& shape : art(*laid)) {
    QPainterPath path;
    for (const auto& ring : shape.area.rings) {
      QPolygonF polygon;
      for (const Vec q : ring) polygon.append(view.to_px(lies(q)));
      path.addPolygon(polygon);
      path.closeSubpath();
    }
    if (!shape.picture) {
      p.fillPath(path, to_qcolor(shape.color));
      continue;
    }
    p.save();
    p.setClipPath(path, Qt::IntersectClip);
    paint_picture(p, view, *shape.picture, lies);
    p.restore();
  }
  if (const auto marks = marks_of(derived_->project, laid->sheet)) paint_dots(p, view, *marks, lies);
  p.restore();
}

Result<int> write_print_pdf(const Print& print, int sheet, const std::string& path) {
  // Written to memory first: the file is replaced whole or not at all.
  QBuffer buffer;
  buffer.open(QIODevice::WriteOnly);
  QPdfWriter pdf(&buffer);
  constexpr int kDots = 1200;
  pdf.setResolution(kDots);
  pdf.setTitle(QString::fromStdString(print.of().project.name));
  pdf.setCreator(QStringLiteral("Dot Lane"));
  QPainter p;
  int pages = 0;
  for (const auto& laid : print.of().layout.sheets) {
    if (!laid.sheet.printed || (sheet != 0 && laid.sheet.id != sheet)) continue;
    const QSizeF size(laid.sheet.area.width(), laid.sheet.area.height());
    pdf.setPageLayout(QPageLayout(QPageSize(size, QPageSize::Millimeter, {}, QPageSize::ExactMatch),
                                  QPageLayout::Portrait, {}, QPageLayout::Millimeter));
    if (pages == 0 ? !p.begin(&pdf) : !pdf.newPage()) return fail(ErrorKind::unreadable, {"pages-not-made"}, path);
    paint_page_of(p, print, laid, kDots / kMmPerInch);
    ++pages;
  }
  if (pages == 0) return fail(ErrorKind::bad_request, {"no-printed-sheet"}, path);
  if (!p.end()) return fail(ErrorKind::unreadable, {"pages-not-made"}, path);
  const auto ok = write_file(path, {buffer.data().constData(), static_cast<std::size_t>(buffer.data().size())});
  if (!ok) return tl::unexpected<Error>(ok.error());
  return pages;
}

QImage print_image(const Print& print, int sheet, double px_per_mm) {
  const LaidSheet* laid = laid_sheet(print.of(), sheet);
  if (!laid) return {};
  const Box& area = laid->sheet.area;
  QImage image(std::max(1, static_cast<int>(std::lround(area.width() * px_per_mm))),
               std::max(1, static_cast<int>(std::lround(area.height() * px_per_mm))), QImage::Format_RGB32);
  if (image.isNull()) return {};
  const int dots_per_metre = static_cast<int>(std::lround(px_per_mm * 1000));
  image.setDotsPerMeterX(dots_per_metre);
  image.setDotsPerMeterY(dots_per_metre);
  image.fill(Qt::white);
  QPainter p(&image);
  paint_page_of(p, print, *laid, px_per_mm);
  return image;
}

}  // namespace dotlane
