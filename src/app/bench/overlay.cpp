#include "app/bench/overlay.hpp"

#include <QCoreApplication>
#include <QLocale>

#include "app/style.hpp"
#include "app/units.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/seams.hpp"

namespace dotlane {
namespace {

bool has_room_below(const Sheet& sheet, const Project& project, double height_mm) {
  const double end = sheet.area.y1 + height_mm;
  if (end >= project.machine.mat.height_mm) return false;
  const Box strip{sheet.area.x0, sheet.area.y1, sheet.area.x1, end};
  return std::none_of(project.sheets.begin(), project.sheets.end(), [&](const Sheet& other) {
    return other.load == sheet.load && other.id != sheet.id && other.area.overlaps(strip);
  });
}

}  // namespace

void paint_sheet_names(QPainter& p, const View& view, const Project& project, int load) {
  p.setFont(ui_font(12));
  for (const auto& sheet : project.sheets) {
    if (sheet.load != load) continue;
    const Stock* stock = find_stock(project, sheet.stock);
    const QRectF r = view.to_px(sheet.area);
    const QString name =
        QStringLiteral("%1  ·  %2 %3")
            .arg(qs(stock ? stock->name : sheet.stock), size_text(sheet.area, project.unit), unit_word(project.unit));
    const bool below = has_room_below(sheet, project, 20 / view.px_per_mm);
    const QColor ground = below ? theme().mat : to_qcolor(stock ? stock->color : Color{255, 255, 255});
    const QRectF place(r.left() + (below ? 0 : 8), below ? r.bottom() + 3 : r.bottom() - 21,
                       p.fontMetrics().horizontalAdvance(name) + 4, 18);
    p.fillRect(place.adjusted(0, 2, 0, -2), ground);
    p.setPen(below ? theme().quiet : luminance(to_color(ground)) < 0.3 ? QColor("#DCE3DE") : QColor("#5F5A52"));
    p.drawText(place, Qt::AlignLeft | Qt::AlignVCenter, name);
  }
}

void paint_pill(QPainter& p, const QString& text, QPointF centre, const QRectF& canvas) {
  p.setFont(ui_font(12, true));
  const QRectF room = canvas.adjusted(4, 4, -4, -4);
  const double width = p.fontMetrics().horizontalAdvance(text) + 18;
  QRectF box(centre.x() - width / 2, centre.y() - 10, width, 20);
  box.moveLeft(std::clamp(box.left(), room.left(), std::max(room.left(), room.right() - width)));
  box.moveTop(std::clamp(box.top(), room.top(), std::max(room.top(), room.bottom() - 20)));
  p.setPen(Qt::NoPen);
  p.setBrush(theme().accent);
  p.drawRoundedRect(box, 10, 10);
  p.setPen(theme().dark ? QColor("#10201F") : QColor(Qt::white));
  p.drawText(box, Qt::AlignCenter, text);
}

void paint_size_pills(QPainter& p, const QRectF& frame, const Box& size, LengthUnit unit, const QRectF& canvas) {
  paint_pill(p, length_text(size.width(), unit), {frame.center().x(), frame.top() - 18}, canvas);
  paint_pill(p, length_text(size.height(), unit), {frame.right() + 42, frame.center().y()}, canvas);
}

void paint_room(QPainter& p, const View& view, const std::vector<Vec>& room) {
  if (room.empty()) return;
  QPolygonF pixels;
  for (const Vec q : room) pixels.append(view.to_px(q));
  QPen pen(theme().accent, 1.4, Qt::CustomDashLine);
  pen.setDashPattern({6, 3, 1, 3});
  p.setPen(pen);
  p.setBrush(Qt::NoBrush);
  p.drawPolygon(pixels);
}

void paint_seams(QPainter& p, const View& view, const std::vector<SeamStretch>& seams) {
  if (seams.empty()) return;
  p.setRenderHint(QPainter::Antialiasing);
  const QColor paper = theme().dark ? theme().ground : QColor(Qt::white);
  for (const auto& seam : seams) {
    const QLineF line(view.to_px(seam.a), view.to_px(seam.b));
    QColor halo = paper;
    halo.setAlpha(150);
    p.setPen(QPen(halo, seam.hidden ? 3.5 : 4.0, Qt::SolidLine, Qt::FlatCap));
    p.drawLine(line);
    QPen pen(theme().ink, seam.hidden ? 1.8 : 1.6, seam.hidden ? Qt::CustomDashLine : Qt::SolidLine, Qt::RoundCap);
    if (seam.hidden) pen.setDashPattern({0.1, 2.6});
    p.setPen(pen);
    p.drawLine(line);
  }
}

void paint_step_handle(QPainter& p, QPointF at, const StepHandle& handle, bool held) {
  const QColor paper = theme().dark ? theme().ground : QColor(Qt::white);
  p.setRenderHint(QPainter::Antialiasing);
  if (handle.what == StepHandle::What::seam_end) {
    p.setPen(QPen(paper, 1.4));
    p.setBrush(held ? theme().hands : theme().accent);
    p.drawRect(QRectF(at.x() - 3.5, at.y() - 3.5, 7, 7));
    return;
  }
  if (handle.what == StepHandle::What::bridge || handle.what == StepHandle::What::seam) {
    // A ring where it was found, full where it was set.
    p.setPen(QPen(held || handle.set ? paper : theme().accent, 1.6));
    p.setBrush(held ? theme().hands : handle.set ? theme().accent : paper);
    p.drawEllipse(at, kStepHandlePx - 1.5, kStepHandlePx - 1.5);
    return;
  }
  p.setPen(QPen(paper, 1.6));
  p.setBrush(held ? theme().hands : theme().accent);
  p.drawEllipse(at, kStepHandlePx, kStepHandlePx);
}

void paint_place(QPainter& p, QPointF at) {
  p.setRenderHint(QPainter::Antialiasing);
  p.setBrush(Qt::NoBrush);
  for (const auto& [color, width] :
       {std::pair(theme().dark ? theme().ground : QColor(Qt::white), 5.0), std::pair(theme().hands, 2.5)}) {
    p.setPen(QPen(color, width));
    p.drawEllipse(at, 16, 16);
  }
}

bool same_handle(const StepHandle& now, const StepHandle& dragged) {
  if (now.what == StepHandle::What::seam || now.what == StepHandle::What::seam_end)
    return now.what == dragged.what && now.set_as == dragged.set_as && now.end == dragged.end;
  return now.what == dragged.what && (now.what != StepHandle::What::bridge || now.set == dragged.set_as);
}

QString step_text(const Drawing& drawing, const StepHandle& handle, LengthUnit unit) {
  const DrawnPiece* drawn = find_drawn(drawing, handle.piece);
  if (!drawn || drawn->outcomes.empty()) return {};
  if (const Bridged* bridged = drawn->outcomes.back().bridged.get()) {
    if (handle.made >= bridged->bridges.size()) return {};
    const Bridge& b = bridged->bridges[handle.made];
    return QObject::tr("bridge %1 wide, %2 long").arg(length_text(b.width_mm, unit), length_text(b.length_mm, unit));
  }
  if (const Seamed* seamed = drawn->outcomes.back().seamed.get()) {
    if (handle.made >= seamed->runs.size()) return {};
    const auto& run = seamed->runs[handle.made];
    return QObject::tr("seam of %1, %2 in sight")
        .arg(length_text(run.seam.length(), unit), length_text(run.visible_mm, unit));
  }
  const QString length = length_text(distance(handle.at, handle.origin), unit);
  if (handle.what == StepHandle::What::allowance) return QObject::tr("%1 turned under").arg(length);
  if (handle.what == StepHandle::What::stitch) return QObject::tr("stitched %1 inside").arg(length);
  if (handle.what == StepHandle::What::underlap) return QObject::tr("runs under by %1").arg(length);
  const Repeated* made = drawn->outcomes.back().repeated.get();
  if (!made) return {};
  switch (handle.what) {
    case StepHandle::What::pitch:
      return QObject::tr("every %1").arg(length_text(made->pitch_mm, unit));
    case StepHandle::What::pitch_down:
      return QObject::tr("rows every %1").arg(length_text(made->pitch_down_mm, unit));
    case StepHandle::What::across:
      return QObject::tr("%1 across").arg(made->columns);
    case StepHandle::What::down:
      return QObject::tr("%1 down").arg(made->rows);
    case StepHandle::What::wide:
    case StepHandle::What::high:
      return QObject::tr("room %1 %2, %3")
          .arg(size_text(made->room, unit), unit_word(unit),
               counted(made->count, QObject::tr("copy"), QObject::tr("copies")));
    case StepHandle::What::radius:
    case StepHandle::What::bridge:
    case StepHandle::What::seam:
    case StepHandle::What::seam_end:
    case StepHandle::What::allowance:
    case StepHandle::What::stitch:
    case StepHandle::What::underlap:
      break;
  }
  return QObject::tr("radius %1").arg(length_text(made->radius_mm, unit));
}

void paint_link(QPainter& p, QPointF from, QPointF to, bool selected) {
  QColor color = theme().hands;
  color.setAlpha(selected ? 255 : 110);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(color, selected ? 1.4 : 1));
  p.setBrush(Qt::NoBrush);
  p.drawLine(from, to);
  // A ring where it holds, a dot where it is held.
  p.drawEllipse(to, 4, 4);
  p.setBrush(color);
  p.drawEllipse(from, 2.5, 2.5);
}

void paint_turn(QPainter& p, QPointF at, double degrees, const QRectF& canvas) {
  paint_pill(p, QLocale().toString(degrees, 'f', 1) + QStringLiteral("°"), at + QPointF(0, 26), canvas);
}

void paint_hint(QPainter& p, const QString& text, const QRectF& canvas) {
  paint_pill(p, text, {canvas.center().x(), canvas.top() + 20}, canvas);
}

void paint_empty_bench(QPainter& p, const QRectF& canvas) {
  p.setPen(theme().ink);
  p.setFont(ui_font(16, true));
  const double y = canvas.center().y();
  p.drawText(QRectF(canvas.left(), y - 44, canvas.width(), 26), Qt::AlignCenter, QObject::tr("Bring in a drawing"));
  p.setFont(ui_font(13));
  p.setPen(theme().quiet);
  p.drawText(QRectF(canvas.left(), y - 14, canvas.width(), 44), Qt::AlignHCenter | Qt::AlignTop,
             QObject::tr(
                 "Drop an SVG file here, or press Ctrl+I.\nIt comes in at its true size, and every line gets a role."));
}

}  // namespace dotlane
