#include "render/paint.hpp"

#include <QPainterPath>
#include <set>
#include <unordered_map>

#include "core/job/outcome.hpp"
#include "core/shape/paint_layers.hpp"
#include "render/course_painter.hpp"
#include "render/role_style.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kSmoothSegments = 20'000;
constexpr std::size_t kHighlightPolylines = 3000;  // lines of more are highlighted by their box
constexpr std::size_t kThumbnailPolylines = 600;   // of a line; of more, every so many are shown

Color ground_of(const Project& project, const Piece& piece, const Theme& theme) {
  const Stock* stock = find_stock(project, piece.stock);
  return stock ? stock->color : to_color(theme.mat);
}

/// The polylines of a piece's lines; of lines that share theirs, without detail that is too small to be seen.
class Courses {
 public:
  Courses(const View& view, const DrawnPiece& piece) : view_(view), piece_(piece) {
    for (const auto& line : piece.flat->lines) ++sharing_[&*line.polylines];
  }
  /// What is to be painted of all.
  [[nodiscard]] std::size_t segments() {
    if (sharing_.size() * kShared > piece_.flat->lines.size()) return piece_.flat->segments;
    std::size_t n = 0;
    for (std::size_t i = 0; i < piece_.flat->lines.size(); ++i) {
      for (const auto& polyline : of(i)) n += polyline.points.size();
    }
    return n;
  }
  [[nodiscard]] const std::vector<Polyline>& of(std::size_t line) {
    const auto& all = *piece_.flat->lines[line].polylines;
    if (sharing_.at(&all) < kShared) return all;
    const double mm_per_px = 1 / (view_.px_per_mm * std::max(piece_.map_of(line).max_stretch(), 1e-9));
    auto& [tolerance, coarse] = coarse_[&all];
    if (coarse.empty() || mm_per_px * kUnseen < tolerance) {
      tolerance = mm_per_px * kUnseen;
      coarse.clear();
      for (const auto& polyline : all) coarse.push_back(thinned(polyline, tolerance));
    }
    return coarse;
  }

 private:
  static constexpr int kShared = 4;
  static constexpr double kUnseen = 0.15;  // pixels
  const View& view_;
  const DrawnPiece& piece_;
  std::unordered_map<const void*, int> sharing_;
  std::unordered_map<const void*, std::pair<double, std::vector<Polyline>>> coarse_;
};

const Stock* stock_of(const Project& project, const Sheet* sheet) {
  return sheet ? find_stock(project, sheet->stock) : nullptr;
}

/// The sheet of the load that lies there.
const Sheet* sheet_at(const Project& project, int load, Vec p) {
  for (const auto& sheet : project.sheets) {
    if (sheet.load == load && sheet.area.contains(p)) return &sheet;
  }
  return nullptr;
}

/// Strokes of a fill as they will look: at the tip's width in the colour of its mark. Where that is less than a pixel
/// they are a pixel wide and so much fainter, so that sparse fills look sparse and dense ones dense from afar too.
QPen fill_pen(const QColor& color, double tip_px, bool dense) {
  QColor shade = color;
  if (tip_px < 1) shade.setAlphaF(static_cast<float>(std::max(tip_px, 0.06)) * shade.alphaF());
  QPen pen(shade, dense && tip_px < 1.5 ? 0 : std::max(tip_px, 1.0));
  pen.setCapStyle(Qt::RoundCap);
  pen.setJoinStyle(Qt::RoundJoin);
  return pen;
}

/// Where something is filled, its outline shows as the mark that it leaves, too.
bool is_filled(const Piece& piece) {
  return std::any_of(piece.lines.begin(), piece.lines.end(), [](const Line& line) { return line.coat > 0; });
}

/// The card that the cut lines leave, shapes inside shapes being holes.
/// With the id of a line, what that one encloses.
QPainterPath material_path(const View& view, const DrawnPiece& piece, Courses& courses, const char* only = nullptr) {
  QPainterPath area;
  area.setFillRule(Qt::OddEvenFill);
  QPolygonF pixels;
  for (std::size_t i = 0; i < piece.flat->lines.size(); ++i) {
    if (piece.piece->lines[i].role != Role::cut || (only && piece.piece->lines[i].id != only)) continue;
    for (const auto& polyline : courses.of(i)) {
      if (!polyline.closed) continue;
      to_pixels(view, piece.map_of(i), polyline.points, pixels);
      area.addPolygon(pixels);
    }
  }
  return area;
}

}  // namespace

double mat_dots_mm(const View& view) {
  double step = 20;
  while (step * view.px_per_mm < 24) step *= 2;
  return step;
}

void paint_mat(QPainter& p, const View& view, const Machine& machine, const Theme& theme, const QRectF& clip) {
  const QRectF mat = view.to_px(machine.mat_area());
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(theme.mat_edge, 1));
  p.setBrush(theme.mat);
  const double rim = std::clamp(6 * view.px_per_mm, 4.0, 14.0);
  p.drawRoundedRect(mat.adjusted(-rim, -rim, rim, rim), 8, 8);
  const double step = mat_dots_mm(view);
  p.setPen(Qt::NoPen);
  p.setBrush(theme.mat_dot);
  const QRectF seen = clip.isNull() ? mat : mat.intersected(clip);
  const Vec from = view.to_mm(seen.topLeft()), to = view.to_mm(seen.bottomRight());
  for (double y = std::max(step, std::ceil(from.y / step) * step); y < std::min(to.y, machine.mat.height_mm - 1);
       y += step) {
    for (double x = std::max(step, std::ceil(from.x / step) * step); x < std::min(to.x, machine.mat.width_mm - 1);
         x += step) {
      p.drawEllipse(view.to_px(Vec{x, y}), 1.0, 1.0);
    }
  }
}

void paint_ghost_mat(QPainter& p, const View& view, const Machine& machine, const Theme& theme) {
  p.setRenderHint(QPainter::Antialiasing);
  QPen edge(theme.mat_edge, 1.4, Qt::CustomDashLine);
  edge.setDashPattern({5, 4});
  p.setPen(edge);
  p.setBrush(Qt::NoBrush);
  p.drawRoundedRect(view.to_px(machine.mat_area()), 4, 4);
}

void paint_usable_area(QPainter& p, const View& view, const Machine& machine, const Theme& theme) {
  QColor color = theme.quiet;
  color.setAlpha(130);
  QPen border(color, 1.2, Qt::CustomDashLine);
  border.setDashPattern({1, 3});
  p.setPen(border);
  p.setBrush(Qt::NoBrush);
  p.drawRect(view.to_px(machine.usable_area()));
}

void paint_picture(QPainter& p, const View& view, const PrintedPicture& picture, const Affine& lies) {
  const Picture& all = *picture.picture;
  const QImage image(all.rgb.data(), all.width, all.height, static_cast<qsizetype>(3) * all.width,
                     QImage::Format_RGB888);
  const Affine map = view.onto_pixels() * lies * picture.onto;
  p.save();
  p.setRenderHint(QPainter::SmoothPixmapTransform);
  p.setTransform(QTransform(map.a, map.b, map.c, map.d, map.e, map.f), true);
  p.drawImage(QPointF(0, 0), image, QRectF(picture.x0, picture.y0, picture.width, picture.height));
  p.restore();
}

void paint_dots(QPainter& p, const View& view, const PrintMarks& marks, const Affine& lies) {
  p.save();
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(Qt::NoPen);
  p.setBrush(Qt::black);
  const auto dot = [&](Vec at, double across) {
    const double r = across / 2 * view.px_per_mm;
    p.drawEllipse(view.to_px(lies(at)), r, r);
  };
  for (const Vec at : marks.dots) dot(at, kMarkDot);
  dot(marks.second, kMarkSecondDot);
  p.restore();
}

void paint_sheets(QPainter& p, const View& view, const Project& project, int load, Space space, const Theme& theme,
                  const std::map<int, Affine>& lies) {
  p.setRenderHint(QPainter::Antialiasing);
  for (const auto& sheet : project.sheets) {
    if (load != 0 && sheet.load != load) continue;
    const Stock* stock = find_stock(project, sheet.stock);
    QColor color = stock ? to_qcolor(stock->color) : theme.field;
    if (stock && stock->clear) color.setAlpha(110);
    p.setPen(QPen(theme.dark ? color.darker(140) : color.darker(112), 1));
    p.setBrush(color);
    const Box box = space == Space::figure ? sheet.seen() : sheet.area;
    const bool mirrored = space == Space::mat && project.plan.mirrored;
    if (const auto moved = lies.find(sheet.id); moved != lies.end() && sheet.outline.empty()) {
      QPolygonF corners;
      for (const Vec q : {Vec{box.x0, box.y0}, Vec{box.x1, box.y0}, Vec{box.x1, box.y1}, Vec{box.x0, box.y1}})
        corners.append(view.to_px(moved->second(q)));
      p.drawPolygon(corners);
      continue;
    }
    if (sheet.outline.empty()) {
      p.drawRoundedRect(view.to_px(box), 2, 2);
      if (const auto marks = space == Space::mat ? marks_of(project, sheet) : std::nullopt)
        paint_dots(p, view, *marks, onto_print(project, sheet));
      continue;
    }
    QPainterPath scrap;
    scrap.setFillRule(Qt::OddEvenFill);
    for (const auto& ring : sheet.outline) {
      QPolygonF pixels;
      for (const Vec q : ring) pixels.append(view.to_px(Vec{mirrored ? box.x1 - q.x : box.x0 + q.x, box.y0 + q.y}));
      scrap.addPolygon(pixels);
      scrap.closeSubpath();
    }
    p.drawPath(scrap);
  }
}

std::size_t paint_lines(QPainter& p, const View& view, const Project& project, const Drawing& drawing,
                        const Theme& theme, const LineOptions& options) {
  std::size_t painted = 0, in_sight = 0;
  std::vector<Courses> courses_of;  // of each piece
  for (const auto& piece : drawing.pieces) {
    courses_of.emplace_back(view, *piece);
    if (options.clip.isNull() || view.to_px(piece->bounds.grown(1)).intersects(options.clip))
      in_sight += courses_of.back().segments();
  }
  const bool dense = in_sight > kSmoothSegments;
  const auto stopped = [&] { return options.stop && options.stop->load(std::memory_order_relaxed); };
  QPolygonF pixels;
  p.save();
  p.setOpacity(options.strength);
  p.setBrush(Qt::NoBrush);
  p.setRenderHint(QPainter::Antialiasing, !dense);
  CoursePainter painter(p, view, dense);
  // Lower layers first.
  for (auto it = drawing.pieces.rbegin(); it != drawing.pieces.rend(); ++it) {
    const DrawnPiece& piece = **it;
    if (stopped()) break;
    if (!options.clip.isNull() && !view.to_px(piece.bounds.grown(1)).intersects(options.clip)) continue;
    if (options.stacked && piece.piece->helper) continue;  // what shapes others is not there in the end
    Courses& courses = courses_of[static_cast<std::size_t>(drawing.pieces.rend() - it - 1)];
    if (piece.piece->id == options.outlined) {
      painter.finish(options.stop);
      QPen pen(theme.accent, 1, Qt::DotLine);
      pen.setCosmetic(true);
      p.setPen(pen);
      for (std::size_t i = 0; i < piece.flat->lines.size(); ++i) {
        for (const auto& polyline : courses.of(i)) {
          to_pixels(view, piece.map_of(i), polyline.points, pixels);
          p.drawPolyline(pixels);
        }
      }
      continue;
    }
    if (const auto paint = options.stacked ? paint_of(piece) : std::nullopt) {
      // In the end there is the paint, and no stencil any more.
      painter.finish(options.stop);
      p.setRenderHint(QPainter::Antialiasing, true);
      p.fillPath(material_path(view, piece, courses, kPlateOpenings), to_qcolor(*paint));
      p.setRenderHint(QPainter::Antialiasing, !dense);
      continue;
    }
    const Color ground = ground_of(project, *piece.piece, theme);
    const bool rehearsed = is_filled(*piece.piece);
    if (options.stacked) {
      painter.finish(options.stop);
      p.setRenderHint(QPainter::Antialiasing, true);
      const QPainterPath material = material_path(view, piece, courses);
      p.setPen(Qt::NoPen);
      if (options.shadows) {
        p.setBrush(QColor(0, 0, 0, theme.dark ? 110 : 48));
        p.drawPath(material.translated(1.2, 1.8));
      }
      p.setBrush(to_qcolor(ground));
      p.drawPath(material);
      p.setBrush(Qt::NoBrush);
      p.setRenderHint(QPainter::Antialiasing, !dense);
    }
    if (const auto picture = printed_picture(project, piece)) {
      painter.finish(options.stop);
      p.setOpacity(options.strength * 0.75);  // so that the lines on it are made out
      paint_picture(p, view, *picture, {});
      p.setOpacity(options.strength);
    }
    for (std::size_t i = 0; i < piece.flat->lines.size(); ++i) {
      if (stopped()) break;
      if (!options.clip.isNull() && !view.to_px(piece.line_bounds[i].grown(0.5)).intersects(options.clip)) continue;
      const Line& line = piece.piece->lines[i];
      const Tool* tool = find_tool(project, line.tool);
      const QColor color = line_color(line.role, tool ? tool->ink : line.color, ground);
      QPen pen = role_pen(line.role, color);
      if (dense) pen.setWidth(0);  // one pixel, without joins: many times faster than any other pen
      const bool strokes = rehearsed && marks(line.role) && tool != nullptr;
      if (strokes) {
        const Stock* stock = find_stock(project, piece.piece->stock);
        pen = fill_pen(mark_color(*tool, line.role, stock), tool->tip_width_mm * view.px_per_mm, dense);
      }
      if (line.role == Role::print && line.filled) {
        painter.finish(options.stop);
        QPainterPath area;
        area.setFillRule(line.path->fill_rule == FillRule::evenodd ? Qt::OddEvenFill : Qt::WindingFill);
        for (const auto& polyline : courses.of(i)) {
          to_pixels(view, piece.map_of(i), polyline.points, pixels);
          area.addPolygon(pixels);
        }
        p.fillPath(area, QColor(line.color.r, line.color.g, line.color.b, 90));
      }
      const auto& polylines = courses.of(i);
      const auto paint_all = [&](const QPen& with) {
        painter.set_pen(with);
        for (std::size_t k = 0; k < polylines.size() && !(k % 4096 == 4095 && stopped()); ++k)
          painted += painter.draw(polylines[k].points, piece.map_of(i));
      };
      paint_all(pen);
      if (line.role == Role::foil && !strokes && !dense) {  // a double line: the ground inside a wide one
        QPen inner(to_qcolor(ground), 1.2);
        inner.setCosmetic(true);
        paint_all(inner);
      }
    }
  }
  painter.finish(options.stop);
  if (options.stacked && options.hidden && !dense && !stopped()) {
    // Everything once more, faintly: what shows through is what lies under.
    p.setOpacity(options.strength * 0.35);
    for (const auto& piece : drawing.pieces) {
      for (std::size_t i = 0; i < piece->flat->lines.size(); ++i) {
        QPen pen(theme.ink, 1, Qt::CustomDashLine);
        pen.setDashPattern({2, 4});
        pen.setCosmetic(true);
        p.setPen(pen);
        for (const auto& polyline : *piece->flat->lines[i].polylines) {
          to_pixels(view, piece->map_of(i), polyline.points, pixels);
          p.drawPolyline(pixels);
        }
      }
    }
  }
  p.restore();
  return painted;
}

void paint_highlight(QPainter& p, const View& view, const Drawing& drawing, const std::vector<LineRef>& lines,
                     const QColor& color, double width_px) {
  std::size_t painted = 0;
  const std::set<LineRef> wanted(lines.begin(), lines.end());
  QPolygonF pixels;
  p.save();
  p.setBrush(Qt::NoBrush);
  QPen pen(color, width_px);
  pen.setCosmetic(true);
  p.setPen(pen);
  for (const auto& piece : drawing.pieces) {
    for (std::size_t i = 0; i < piece->flat->lines.size(); ++i) {
      const LineRef ref{piece->piece->id, piece->piece->lines[i].id};
      if (!wanted.contains(ref)) continue;
      const auto& all = *piece->flat->lines[i].polylines;
      if (all.size() > kHighlightPolylines) {  // a box says as much, at once
        p.drawRect(view.to_px(piece->line_bounds[i]));
        continue;
      }
      p.setRenderHint(QPainter::Antialiasing, painted < kSmoothSegments / 4);
      for (const auto& polyline : all) {
        to_pixels(view, piece->map_of(i), polyline.points, pixels);
        p.drawPolyline(pixels);
        painted += static_cast<std::size_t>(pixels.size());
      }
    }
  }
  p.restore();
}

QPen mark_pen(const View& view, const Project& project, const std::string& tool_id, const Stock* stock,
              const Theme& theme) {
  const Tool* tool = find_tool(project, tool_id);
  const double tip = tool ? tool->tip_width_mm : 0.2;
  const bool cuts = tool && serves(*tool, Role::cut), dents = tool && serves(*tool, Role::score);
  QColor color = theme.ink;
  if (tool) color = mark_color(*tool, serves(*tool, Role::engrave) ? Role::engrave : Role::draw, stock);
  if (cuts) color = theme.mat.darker(theme.dark ? 60 : 150);
  if (dents) color = QColor(0, 0, 0, 70);
  QPen pen(color, std::max(tip * view.px_per_mm, 1.2));
  pen.setCapStyle(Qt::RoundCap);
  pen.setJoinStyle(Qt::RoundJoin);
  return pen;
}

QPen mark_pen(const View& view, const Project& project, const Mark& mark, const Theme& theme) {
  QPen pen =
      mark_pen(view, project, mark.tool, stock_of(project, sheet_at(project, mark.mat, mark.points.front())), theme);
  if (mark.width_mm > 0) pen.setWidthF(std::max(mark.width_mm * view.px_per_mm, 1.2));
  // Not through: a scratch. Into the mat: a scar, wider and darker.
  constexpr double kScratch = 0.35, kScar = 2.5;
  QColor color = pen.color();
  if (mark.strength < kThrough) color.setAlphaF(static_cast<float>(kScratch)), pen.setColor(color);
  if (mark.strength > kScars) pen.setColor(Qt::black), pen.setWidthF(std::max(2.5, pen.widthF() * kScar));
  return pen;
}

void paint_marks(QPainter& p, const View& view, const Project& project, const RunRecord& record, int mat,
                 const Theme& theme) {
  p.setRenderHint(QPainter::Antialiasing);
  CoursePainter painter(p, view, record.marks.size() > kSmoothSegments);
  for (const Mark& mark : record.marks) {
    if (mark.mat != mat || mark.points.empty()) continue;
    painter.set_pen(mark_pen(view, project, mark, theme));
    painter.draw(mark.points, {});
  }
  painter.finish();
}

void paint_head(QPainter& p, QPointF at, bool down, const Theme& theme) {
  p.save();
  p.setRenderHint(QPainter::Antialiasing);
  // A light edge around the dark sign, so that it stands out on any stock.
  for (const QPen& pen : {QPen(theme.panel, 4.4), QPen(theme.ink, 1.8)}) {
    p.setPen(pen);
    p.setBrush(down ? theme.ink : theme.panel);
    p.drawEllipse(at, 7, 7);
    for (const QPointF d : {QPointF(0, 1), QPointF(0, -1), QPointF(1, 0), QPointF(-1, 0)})
      p.drawLine(at + d * 9, at + d * 14);
  }
  p.restore();
}

void paint_thumbnail(QPainter& p, const QRectF& box, const Project& project, const DrawnPiece& piece,
                     const Theme& theme) {
  p.save();
  p.setRenderHint(QPainter::Antialiasing);
  const Color ground = ground_of(project, *piece.piece, theme);
  p.setPen(QPen(theme.hairline, 1));
  p.setBrush(to_qcolor(ground));
  p.drawRoundedRect(box.adjusted(0.5, 0.5, -0.5, -0.5), 6, 6);
  p.setClipRect(box.adjusted(2, 2, -2, -2));
  p.setBrush(Qt::NoBrush);
  const View view = View::fitting(piece.bounds, box, 6);
  CoursePainter courses(p, view, false);
  for (std::size_t i = 0; i < piece.flat->lines.size(); ++i) {
    const Line& line = piece.piece->lines[i];
    const Tool* tool = find_tool(project, line.tool);
    QPen pen = role_pen(line.role, line_color(line.role, tool ? tool->ink : line.color, ground));
    pen.setWidthF(std::min(pen.widthF(), 1.3));
    if (is_filled(*piece.piece) && marks(line.role) && tool) {
      // Never too faint to be made out at this size.
      pen = fill_pen(mark_color(*tool, line.role, find_stock(project, piece.piece->stock)),
                     std::max(0.3, tool->tip_width_mm * view.px_per_mm), false);
    }
    p.setPen(pen);
    const auto& polylines = *piece.flat->lines[i].polylines;
    const std::size_t every = polylines.size() / kThumbnailPolylines + 1;
    for (std::size_t k = 0; k < polylines.size(); k += every) {
      courses.draw(polylines[k].points, piece.map_of(i));
    }
  }
  p.restore();
}

}  // namespace dotlane
