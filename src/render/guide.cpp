#include "render/guide.hpp"

#include <QBuffer>
#include <QDir>
#include <QLocale>
#include <QPageLayout>
#include <QPainterPath>
#include <QPdfWriter>
#include <algorithm>
#include <cmath>
#include <functional>

#include "core/format/files.hpp"
#include "core/layout/room.hpp"
#include "core/shape/seams.hpp"
#include "core/text_scan.hpp"
#include "render/job_export.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr double kPageUnits = 4;    // to a millimetre of paper: pens and letters are as large as on a screen
constexpr double kPageMargin = 14;  // mm
constexpr double kThinPx = 0.2;     // no outline shows more
// How a layer lies in the exploded picture: leaning to the right, seen from above, each this share of the figure's
// larger side above the one below.
constexpr double kLean = 0.42, kFlat = 0.5, kLift = 0.24;

QString said(const std::string& s) { return QString::fromStdString(s); }

QString size_said(const Box& box, LengthUnit unit) {
  const double per = unit == LengthUnit::inch ? 25.4 : 1;
  const int decimals = unit == LengthUnit::inch ? 2 : 0;
  const QLocale locale;
  return QStringLiteral("%1 × %2 %3")
      .arg(locale.toString(box.width() / per, 'f', decimals), locale.toString(box.height() / per, 'f', decimals),
           unit == LengthUnit::inch ? QStringLiteral("in") : QStringLiteral("mm"));
}

}  // namespace

void paint_part_number(QPainter& p, QPointF at, int number, bool loud, const Theme& t) {
  const QString text = QString::number(number);
  p.setFont(ui_font(loud ? 12 : 10, true));
  const double high = loud ? 20 : 16, wide = std::max(high, p.fontMetrics().horizontalAdvance(text) + 9.0);
  const QRectF r(at.x() - wide / 2, at.y() - high / 2, wide, high);
  const QColor paper = t.dark ? t.panel : QColor(Qt::white);
  p.setPen(QPen(loud ? t.accent : t.quiet, loud ? 1.5 : 1));
  p.setBrush(loud ? t.accent : paper);
  p.drawRoundedRect(r, high / 2, high / 2);
  p.setPen(loud ? paper : t.ink);
  p.drawText(r, Qt::AlignCenter, text);
}

QPainterPath path_of(const Region& region, const View& view) {
  QPainterPath out;
  for (const auto& ring : region.rings) {
    QPolygonF polygon;
    for (const Vec p : thinned(ring, kThinPx / view.px_per_mm)) polygon.append(view.to_px(p));
    out.addPolygon(polygon);
    out.closeSubpath();
  }
  return out;
}

Paper paper_for(LengthUnit unit) { return unit == LengthUnit::inch ? Paper{215.9, 279.4} : Paper{}; }

AssemblyGuide::AssemblyGuide(const Project& project, const Derived& derived, bool top_first)
    : project_(project),
      derived_(derived),
      top_first_(top_first),
      steps_(assembly_of(derived.drawing, derived.layout, top_first)) {
  for (const auto& part : derived.layout.parts) figure_.add(part.bounds());
  levels_ = levels_of(derived.layout, steps_, top_first);
  pages_.push_back({});
  if (layers() > 1) pages_.push_back({Page::What::exploded, 0});
  for (std::size_t s = 0; s < steps_.size(); ++s) {
    if (steps_[s].in_tiles) pages_.push_back({Page::What::face_down, s});
    pages_.push_back({Page::What::step, s});
  }
  for (std::size_t k = 0; k < derived.layout.sheets.size(); ++k) pages_.push_back({Page::What::sheet, k});
}

QString AssemblyGuide::heading(const Page& page) const {
  switch (page.what) {
    case Page::What::figure:
      return said(project_.name);
    case Page::What::exploded:
      return QObject::tr("Layer by layer, the back at the bottom");
    case Page::What::step:
      return QObject::tr("Step %1 of %2: %3").arg(page.index + 1).arg(steps_.size()).arg(said(steps_[page.index].name));
    case Page::What::face_down:
      return QObject::tr("Before step %1: join %2, face down").arg(page.index + 1).arg(said(steps_[page.index].name));
    default: {
      const Sheet& sheet = derived_.layout.sheets[page.index].sheet;
      const Stock* stock = find_stock(project_, sheet.stock);
      return QObject::tr("Sheet %1: %2").arg(page.index + 1).arg(said(stock ? stock->name : sheet.stock));
    }
  }
}

QString AssemblyGuide::partLine(std::size_t part) const {
  const Part& known = derived_.layout.parts[part];
  QStringList from;
  for (const int sheet : sheets_with(derived_.layout, part)) from << QString::number(sheet);
  const Stock* stock = find_stock(project_, known.stock);
  const QString card = said(stock ? stock->name : known.stock);
  return from.isEmpty() ? QObject::tr("%1  %2, %3, on no sheet yet").arg(known.number).arg(said(known.name), card)
                        : QObject::tr("%1  %2, %3, from sheet %4")
                              .arg(known.number)
                              .arg(said(known.name), card, from.join(QStringLiteral(", ")));
}

QStringList AssemblyGuide::lines(const Page& page) const {
  QStringList out;
  switch (page.what) {
    case Page::What::figure: {
      std::size_t parts = 0;
      for (const auto& step : steps_) parts += step.parts.size();
      const Box box = figure();
      out << QObject::tr("%1. Parts: %2. Steps: %3. Sheets: %4.")
                 .arg(size_said(box, project_.unit))
                 .arg(parts)
                 .arg(steps_.size())
                 .arg(derived_.layout.sheets.size());
      out << QObject::tr(
          "Blades are sharp: put their caps on before you glue. Heated tips stay hot. Card edges cut, too.");
      break;
    }
    case Page::What::exploded:
      for (std::size_t k = 0; k < steps_.size(); ++k)
        out << QObject::tr("Step %1: %2").arg(k + 1).arg(said(steps_[k].name));
      break;
    case Page::What::step:
      for (const std::size_t part : steps_[page.index].parts) out << partLine(part);
      out << hints(page);
      break;
    case Page::What::face_down:
      out << hints(page);
      break;
    case Page::What::sheet:
      for (std::size_t i = 0; i < derived_.layout.parts.size(); ++i) {
        const auto sheets = sheets_with(derived_.layout, i);
        if (std::find(sheets.begin(), sheets.end(), static_cast<int>(page.index) + 1) == sheets.end()) continue;
        out << QObject::tr("%1  %2").arg(derived_.layout.parts[i].number).arg(said(derived_.layout.parts[i].name));
      }
  }
  return out;
}

QStringList AssemblyGuide::hints(const Page& page) const {
  if (page.what == Page::What::face_down)
    return {QObject::tr(
        "Lay the tiles face down as here, mirrored; bring their edges together and tape along the dashed lines.")};
  if (page.what == Page::What::step && top_first_ && page.index > 0)
    return {
        QObject::tr("Look for an even reveal all round before you press it down: it shows that the layers lie right.")};
  return {};
}

Box AssemblyGuide::figure() const { return figure_; }

std::size_t AssemblyGuide::layers() const {
  return levels_.empty() ? 0 : *std::max_element(levels_.begin(), levels_.end()) + 1;
}

Affine AssemblyGuide::lifted(std::size_t layer) const {
  const double lift = kLift * std::max(figure_.width(), figure_.height()) * static_cast<double>(layer);
  return Affine{1, 0, -kLean, kFlat, 0, -lift};
}

Box AssemblyGuide::shown(const Page& page) const {
  Box out;
  switch (page.what) {
    case Page::What::face_down:
      for (const std::size_t part : steps_[page.index].parts) out.add(derived_.layout.parts[part].bounds());
      return out;
    case Page::What::sheet:
      return derived_.layout.sheets[page.index].sheet.area;
    case Page::What::exploded:
      for (const std::size_t k : {std::size_t{0}, layers() - 1}) {
        for (const Vec corner : {Vec{figure_.x0, figure_.y0}, Vec{figure_.x1, figure_.y0}, Vec{figure_.x1, figure_.y1},
                                 Vec{figure_.x0, figure_.y1}})
          out.add(lifted(k)(corner));
      }
      return out;
    default:
      return figure_;
  }
}

void AssemblyGuide::paint(QPainter& painter, const QRectF& box, const Page& page) const {
  const Box all = shown(page);
  if (!all.empty()) paint(painter, View::fitting(all, box, 12), page, {});
}

void AssemblyGuide::paint(QPainter& painter, const View& view, const Page& page, const How& how) const {
  painter.save();
  painter.setRenderHint(QPainter::Antialiasing);
  switch (page.what) {
    case Page::What::figure:
      paintStep(painter, view, nullptr, how);
      break;
    case Page::What::exploded:
      paintExploded(painter, view, how);
      break;
    case Page::What::step:
      paintStep(painter, view, &steps_[page.index], how);
      break;
    case Page::What::face_down:
      paintFaceDown(painter, view, steps_[page.index], how);
      break;
    case Page::What::sheet:
      paintSheet(painter, view, page.index, how);
  }
  painter.restore();
}

std::optional<Affine> AssemblyGuide::placed(std::size_t laid, const Page& page) const {
  const LaidPart& copy = derived_.layout.laid[laid];
  const Part& part = derived_.layout.parts[copy.part];
  if (!part.has_body()) return {};  // and so in no step
  const auto step =
      std::find_if(steps_.begin(), steps_.end(), [&](const AssemblyStep& s) { return s.piece == part.first.piece; });
  if (step == steps_.end()) return {};
  const auto at = static_cast<std::size_t>(step - steps_.begin());
  switch (page.what) {
    case Page::What::sheet:
      if (copy.sheet != derived_.layout.sheets[page.index].sheet.id) return {};
      return copy.map;
    case Page::What::face_down:
      if (at != page.index) return {};
      return behind(page);
    case Page::What::exploded:
      return lifted(levels_[at]);
    case Page::What::step:
      if (at > page.index) return {};
      return Affine{};
    default:
      return Affine{};
  }
}

/// Seen from behind, everything is the other way round about the middle.
Affine AssemblyGuide::behind(const Page& page) const {
  const Box all = shown(page);
  return {-1, 0, 0, 1, all.x0 + all.x1, 0};
}

void AssemblyGuide::paintStep(QPainter& p, const View& view, const AssemblyStep* step, const How& how) const {
  const Theme& t = *how.theme;
  Drawing so_far;
  for (const auto& drawn : derived_.drawing.pieces) {
    const auto at =
        std::find_if(steps_.begin(), steps_.end(), [&](const AssemblyStep& s) { return s.piece == drawn->piece->id; });
    if (!step || (at != steps_.end() && &*at <= step)) so_far.pieces.push_back(drawn);
  }
  // Where what is still to come will lie.
  p.setPen(QPen(t.hairline, 1));
  p.setBrush(Qt::NoBrush);
  for (const auto& part : derived_.layout.parts) {
    if (step && part.has_body()) p.drawPath(path_of(part.body(), view));
  }
  LineOptions options;
  options.stacked = true, options.hidden = false, options.clip = how.clip, options.stop = how.stop;
  (void)paint_lines(p, view, project_, so_far, t, options);
  if (!step || !how.numbered) return;
  for (const std::size_t part : step->parts) {
    const Part& known = derived_.layout.parts[part];
    const Region body = known.body();
    p.setPen(QPen(t.accent, 2));
    p.setBrush(Qt::NoBrush);
    p.drawPath(path_of(body, view));
    paint_part_number(p, view.to_px(number_place(body)), known.number, true, t);
  }
}

void AssemblyGuide::paintFaceDown(QPainter& p, const View& view, const AssemblyStep& step, const How& how) const {
  const Theme& t = *how.theme;
  const Affine mirrored = behind({Page::What::face_down, static_cast<std::size_t>(&step - steps_.data())});
  for (const std::size_t part : step.parts) {
    const Part& known = derived_.layout.parts[part];
    const Region body = transformed(known.body(), mirrored);
    const Stock* stock = find_stock(project_, known.stock);
    p.setPen(QPen(t.ink, 1));
    p.setBrush(stock ? to_qcolor(stock->color) : t.field);
    p.drawPath(path_of(body, view));
    if (how.numbered) paint_part_number(p, view.to_px(number_place(body)), known.number, true, t);
  }
  const DrawnPiece* drawn = find_drawn(derived_.drawing, step.piece);
  for (const auto& outcome : drawn->outcomes) {
    if (!outcome.seamed) continue;
    QPen tape(t.hands, 5, Qt::CustomDashLine, Qt::FlatCap);
    tape.setDashPattern({2.4, 1});
    p.setPen(tape);
    for (const auto& run : outcome.seamed->runs)
      p.drawLine(view.to_px(mirrored(drawn->map(run.seam.a))), view.to_px(mirrored(drawn->map(run.seam.b))));
  }
}

void AssemblyGuide::paintExploded(QPainter& p, const View& view, const How& how) const {
  const Theme& t = *how.theme;
  for (std::size_t layer = 0; layer < layers(); ++layer) {
    if (how.stop && *how.stop) return;
    const Affine map = lifted(layer);
    QPolygonF plane;
    for (const Vec corner : {Vec{figure_.x0, figure_.y0}, Vec{figure_.x1, figure_.y0}, Vec{figure_.x1, figure_.y1},
                             Vec{figure_.x0, figure_.y1}})
      plane.append(view.to_px(map(corner)));
    QColor glass = t.mat;
    glass.setAlpha(110);
    p.setPen(QPen(t.mat_edge, 1));
    p.setBrush(glass);
    p.drawPolygon(plane);
    const auto in_layer = [&](int piece) {
      for (std::size_t s = 0; s < steps_.size(); ++s) {
        if (steps_[s].piece == piece) return levels_[s] == layer;
      }
      return false;
    };
    Drawing own;
    for (const auto& drawn : derived_.drawing.pieces) {
      if (in_layer(drawn->piece->id)) own.pieces.push_back(drawn);
    }
    p.save();
    // The view is the painter's, so that lines lean as the layer does.
    const View flat{view.px_per_mm, {}};
    p.setTransform(QTransform(map.a, map.b, map.c, map.d, view.origin.x() + view.px_per_mm * map.e,
                              view.origin.y() + view.px_per_mm * map.f),
                   true);
    LineOptions options;
    options.stacked = true, options.hidden = false, options.stop = how.stop;
    (void)paint_lines(p, flat, project_, own, t, options);
    p.restore();
    if (!how.numbered) continue;
    for (std::size_t s = 0; s < steps_.size(); ++s) {
      for (std::size_t i = 0; levels_[s] == layer && i < steps_[s].parts.size(); ++i) {
        const Part& known = derived_.layout.parts[steps_[s].parts[i]];
        paint_part_number(p, view.to_px(map(number_place(known.body()))), known.number, false, t);
      }
    }
  }
}

bool AssemblyGuide::anythingIn(const Box& box) const {
  return std::any_of(derived_.layout.parts.begin(), derived_.layout.parts.end(), [&](const Part& part) {
    return part.bounds().overlaps(box) && (!part.has_body() || !intersect(part.body(), region_of(box)).empty());
  });
}

void AssemblyGuide::paintNumbered(QPainter& p, const View& view) const {
  LineOptions options;
  options.stacked = true, options.hidden = false;
  (void)paint_lines(p, view, project_, derived_.drawing, light_theme(), options);
  for (const auto& part : derived_.layout.parts) {
    if (part.has_body()) paint_part_number(p, view.to_px(number_place(part.body())), part.number, true, light_theme());
  }
}

void AssemblyGuide::paintSheet(QPainter& p, const View& view, std::size_t index, const How& how) const {
  const Theme& t = *how.theme;
  const LaidSheet& laid = derived_.layout.sheets[index];
  const Stock* stock = find_stock(project_, laid.sheet.stock);
  p.setPen(QPen(t.mat_edge, 1));
  p.setBrush(stock ? to_qcolor(stock->color) : t.field);
  if (laid.sheet.outline.empty()) {
    p.drawRect(view.to_px(laid.sheet.area));
  } else {
    p.drawPath(path_of(dotlane::area_of(project_, laid.sheet), view));
  }
  const Color card = stock ? stock->color : to_color(t.field);
  const QColor ink = contrast(card, Color{40, 38, 34}) < 3 ? QColor(Qt::white) : QColor(40, 38, 34);
  for (std::size_t k = 0; k < derived_.layout.laid.size(); ++k) {
    if (how.stop && *how.stop) return;
    const Part& part = derived_.layout.parts[derived_.layout.laid[k].part];
    const auto map = placed(k, {Page::What::sheet, index});
    if (!map) continue;
    const Region body = transformed(*part.shape, *map * part.at);
    p.setPen(QPen(ink, 1.2));
    p.setBrush(Qt::NoBrush);
    p.drawPath(path_of(body, view));
    if (how.numbered) paint_part_number(p, view.to_px(number_place(body)), part.number, true, t);
  }
}

namespace {

/// Heading, picture, lines: in page units.
void paint_page(QPainter& p, const AssemblyGuide& guide, const AssemblyGuide::Page& page, std::size_t number,
                const QString& title, const Paper& paper) {
  const Theme& t = light_theme();
  const double wide = paper.width_mm * kPageUnits, high = paper.height_mm * kPageUnits,
               margin = kPageMargin * kPageUnits;
  const QStringList lines = guide.lines(page);
  const bool first = page.what == AssemblyGuide::Page::What::figure;
  p.setPen(t.ink);
  p.setFont(ui_font(first ? 30 : 22, true));
  p.drawText(QRectF(margin, margin, wide - 2 * margin, 40), Qt::AlignLeft | Qt::AlignVCenter, guide.heading(page));
  // Lines in two columns where they are many.
  p.setFont(ui_font(14));
  constexpr double kLine = 21;
  const int columns = lines.size() > 6 ? 2 : 1;
  const int rows = static_cast<int>((lines.size() + columns - 1) / columns);
  const double column = (wide - 2 * margin) / columns, text_high = rows * kLine * (columns == 1 ? 1.6 : 1);
  const double foot = high - margin - 24;
  const QRectF picture(margin, margin + 50, wide - 2 * margin, foot - text_high - 16 - margin - 50);
  guide.paint(p, picture, page);
  p.setPen(t.ink);
  p.setFont(ui_font(14));
  for (int i = 0; i < lines.size(); ++i) {
    const double row = text_high / std::max(1, rows);
    p.drawText(QRectF(margin + (i / rows) * column, foot - text_high + (i % rows) * row, column - 12, row),
               Qt::AlignLeft | Qt::AlignVCenter | Qt::TextWordWrap, lines[i]);
  }
  p.setPen(t.quiet);
  p.setFont(ui_font(11));
  p.drawText(QRectF(margin, high - margin - 14, wide - 2 * margin, 14), Qt::AlignLeft, title);
  p.drawText(QRectF(margin, high - margin - 14, wide - 2 * margin, 14), Qt::AlignRight, QString::number(number));
}

}  // namespace

namespace {

/// So many pages, each painted in page units.
Result<int> write_pages(const std::string& title, const std::string& path, const Paper& paper, int pages,
                        const std::function<void(QPainter&, int)>& paint) {
  // Written to memory first: the file is replaced whole or not at all.
  QBuffer buffer;
  buffer.open(QIODevice::WriteOnly);
  QPdfWriter pdf(&buffer);
  constexpr int kDots = 600;
  pdf.setResolution(kDots);
  pdf.setTitle(said(title));
  pdf.setCreator(QStringLiteral("Dot Lane"));
  pdf.setPageLayout(
      QPageLayout(QPageSize(QSizeF(paper.width_mm, paper.height_mm), QPageSize::Millimeter, {}, QPageSize::ExactMatch),
                  QPageLayout::Portrait, {}, QPageLayout::Millimeter));
  QPainter p;
  if (!p.begin(&pdf)) return fail(ErrorKind::unreadable, {"pages-not-made"}, path);
  const double scale = kDots / kMmPerInch / kPageUnits;
  for (int i = 0; i < pages; ++i) {
    if (i > 0) pdf.newPage();
    p.save();
    p.scale(scale, scale);
    p.setRenderHint(QPainter::Antialiasing);
    paint(p, i);
    p.restore();
  }
  if (!p.end()) return fail(ErrorKind::unreadable, {"pages-not-made"}, path);
  const auto ok = write_file(path, {buffer.data().constData(), static_cast<std::size_t>(buffer.data().size())});
  if (!ok) return tl::unexpected<Error>(ok.error());
  return pages;
}

}  // namespace

Result<int> write_guide_pdf(const AssemblyGuide& guide, const std::string& title, const std::string& path,
                            const Paper& paper) {
  return write_pages(title, path, paper, static_cast<int>(guide.pages().size()), [&](QPainter& p, int i) {
    const auto at = static_cast<std::size_t>(i);
    paint_page(p, guide, guide.pages()[at], at + 1, said(title), paper);
  });
}

std::pair<int, int> poster_pages(const Box& figure, const Paper& paper) {
  const auto pages = [](double length, double side) {
    const double room = side - 2 * kPageMargin;
    return std::max(1, static_cast<int>(std::ceil((length - kPosterOverlap) / (room - kPosterOverlap) - 1e-9)));
  };
  return {pages(figure.width(), paper.width_mm), pages(figure.height(), paper.height_mm)};
}

Result<int> write_poster_pdf(const AssemblyGuide& guide, const std::string& title, const std::string& path,
                             const Paper& paper) {
  const Theme& t = light_theme();
  const Box figure = guide.figure();
  const std::pair<int, int> pages = poster_pages(figure, paper);
  const int across = pages.first, down = pages.second;
  const double wide = paper.width_mm - 2 * kPageMargin, high = paper.height_mm - 2 * kPageMargin;
  const auto page = [&](QPainter& p, int column, int row) {
    // In mm of the figure: what this page shows.
    const double x0 = figure.x0 + column * (wide - kPosterOverlap), y0 = figure.y0 + row * (high - kPosterOverlap);
    const View view{kPageUnits, QPointF(kPageMargin - x0, kPageMargin - y0) * kPageUnits};
    const QRectF shown(kPageMargin * kPageUnits, kPageMargin * kPageUnits, wide * kPageUnits, high * kPageUnits);
    p.save();
    p.setClipRect(shown);
    guide.paintNumbered(p, view);
    p.restore();
    p.setPen(QPen(t.quiet, 0.8, Qt::DotLine));
    p.setBrush(Qt::NoBrush);
    p.drawRect(shown);
    // Crosses in the middle of what two pages share.
    p.setPen(QPen(t.ink, 0.8));
    const double half = kPosterOverlap / 2, arm = 3 * kPageUnits;
    for (const double x : {x0 + half, x0 + wide - half}) {
      for (const double y : {y0 + half, y0 + high - half}) {
        const QPointF at = view.to_px(Vec{x, y});
        p.drawLine(at - QPointF(arm, 0), at + QPointF(arm, 0));
        p.drawLine(at - QPointF(0, arm), at + QPointF(0, arm));
      }
    }
    p.setFont(ui_font(13, true));
    p.drawText(QRectF(shown.left(), shown.top() - 30, 200, 24), Qt::AlignLeft | Qt::AlignVCenter,
               QStringLiteral("%1%2").arg(QChar(u'A' + row % 26)).arg(column + 1));
    p.setFont(ui_font(11));
    const double y = shown.bottom() + 18;
    p.drawLine(QPointF(shown.left(), y), QPointF(shown.left() + 50 * kPageUnits, y));
    p.drawText(QRectF(shown.left() + 52 * kPageUnits, y - 10, shown.width() - 52 * kPageUnits, 20),
               Qt::AlignLeft | Qt::AlignVCenter,
               QObject::tr("50 mm: print at 100 %.  %1, row %2 of %3, page %4 of %5. Pages run on by %6 mm.")
                   .arg(said(title))
                   .arg(row + 1)
                   .arg(down)
                   .arg(column + 1)
                   .arg(across)
                   .arg(kPosterOverlap));
  };
  // Pages on which nothing lies are left out.
  std::vector<std::pair<int, int>> used;
  for (int row = 0; row < down; ++row) {
    for (int column = 0; column < across; ++column) {
      const Box shown =
          Box::of(figure.x0 + column * (wide - kPosterOverlap), figure.y0 + row * (high - kPosterOverlap), wide, high);
      if (guide.anythingIn(shown)) used.emplace_back(column, row);
    }
  }
  return write_pages(title, path, paper, static_cast<int>(used.size()), [&](QPainter& p, int i) {
    const auto& [column, row] = used[static_cast<std::size_t>(i)];
    page(p, column, row);
  });
}

Result<void> write_guide_folder(const AssemblyGuide& guide, const std::string& title, const std::string& path) {
  if (!QDir().mkpath(said(path))) return fail(ErrorKind::unreadable, {"folder-not-made"}, path);
  constexpr int kPixels = 820;
  QString html =
      QStringLiteral(
          "<!doctype html>\n<html><head><meta charset=\"utf-8\"><title>%1</title>\n<style>body{font:16px/1.5 "
          "sans-serif;color:#2b2a28;background:#fbf8f1;max-width:860px;margin:2em auto;padding:0 1em}"
          "img{max-width:100%;display:block}section{margin:0 0 3em}h2{margin:0 0 .4em}</style></head><body>\n")
          .arg(said(title).toHtmlEscaped());
  for (std::size_t i = 0; i < guide.pages().size(); ++i) {
    const auto& page = guide.pages()[i];
    QImage image(kPixels, kPixels, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter p(&image);
    guide.paint(p, QRectF(image.rect()), page);
    p.end();
    const std::string name = "page-" + std::to_string(i + 1) + ".png";
    if (auto ok = write_png(image, path + "/" + name); !ok) return ok;
    html += QStringLiteral("<section><h2>%1</h2><img src=\"%2\" alt=\"%1\">\n<ul>")
                .arg(guide.heading(page).toHtmlEscaped(), said(name));
    for (const auto& line : guide.lines(page)) html += QStringLiteral("<li>%1</li>").arg(line.toHtmlEscaped());
    html += QStringLiteral("</ul></section>\n");
  }
  html += QStringLiteral("</body></html>\n");
  return write_file(path + "/index.html", html.toStdString());
}

}  // namespace dotlane
