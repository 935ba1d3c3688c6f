#include "render/job_sheet.hpp"

#include <QBuffer>
#include <QLocale>
#include <QPdfWriter>
#include <QTextDocument>
#include <algorithm>
#include <map>

#include "core/format/files.hpp"
#include "core/plan/setup_cards.hpp"
#include "core/text_scan.hpp"
#include "render/role_style.hpp"
#include "render/sheet_export.hpp"
#include "words/language.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

QString escaped(const std::string& text) { return QString::fromStdString(text).toHtmlEscaped(); }

/// "48 s", "12 min", "1 h 5 min".
QString duration(double seconds) {
  constexpr double kMinute = 60, kHour = 3600;
  if (seconds < kMinute) return QStringLiteral("%1 s").arg(std::lround(seconds));
  const long minutes = std::lround(seconds / kMinute);
  if (seconds < kHour - kMinute / 2) return QStringLiteral("%1 min").arg(minutes);
  return QStringLiteral("%1 h %2 min").arg(minutes / 60).arg(minutes % 60);
}

QString number(double value, int decimals = 0) { return QLocale().toString(value, 'f', decimals); }

QString length(double mm, LengthUnit unit) {
  return unit == LengthUnit::inch ? number(mm / kMmPerInch, 2) + QStringLiteral(" in")
                                  : number(mm, 1) + QStringLiteral(" mm");
}

QString row(const QStringList& cells, const char* tag = "td") {
  QString out = QStringLiteral("<tr>");
  const QString name = QLatin1String(tag);
  for (const auto& cell : cells) {  // numbers stand below each other
    const bool figure = !cell.isEmpty() && cell.front().isDigit();
    out += QStringLiteral("<%1%3>%2</%1>").arg(name, cell, figure ? QStringLiteral(" align=\"right\"") : QString());
  }
  return out + QStringLiteral("</tr>\n");
}

QString table(const QStringList& heads, const QStringList& rows) {
  return QStringLiteral(
             "<table border=\"1\" cellspacing=\"0\" cellpadding=\"4\" style=\"border-collapse:collapse\">\n") +
         row(heads, "th") + rows.join(QString()) + QStringLiteral("</table>\n");
}

QString stock_table(const Project& project, const Derived& derived) {
  QStringList rows;
  for (std::size_t i = 0; i < derived.layout.sheets.size(); ++i) {
    const Sheet& sheet = derived.layout.sheets[i].sheet;
    const Stock* stock = find_stock(project, sheet.stock);
    if (!stock || sheet.not_now) continue;
    QString thickness = length(stock->thickness_mm, LengthUnit::mm);
    if (stock->thickness_mm < 1) thickness = number(stock->thickness_mm, 2) + QStringLiteral(" mm");
    rows << row(
        {number(static_cast<double>(i + 1)), escaped(stock->name),
         length(sheet.area.width(), project.unit) + QStringLiteral(" × ") + length(sheet.area.height(), project.unit),
         thickness, number(sheet.load)});
  }
  return table({QObject::tr("sheet"), QObject::tr("stock"), QObject::tr("size"), QObject::tr("thickness"),
                QObject::tr("mat load")},
               rows);
}

QString pass_table(const Project& project, const Derived& derived) {
  std::map<int, std::size_t> numbers;
  for (std::size_t i = 0; i < derived.layout.sheets.size(); ++i) numbers[derived.layout.sheets[i].sheet.id] = i + 1;
  QStringList rows;
  for (const auto& pass : derived.plan.passes) {
    const Tool* tool = find_tool(project, pass.tool);
    rows << row({number(pass.index), number(static_cast<double>(numbers[pass.sheet])),
                 QString::fromStdString(in_words(std::string(word(pass.role)))), escaped(tool ? tool->name : pass.tool),
                 number(pass.holder), number(pass.force_gf) + QStringLiteral(" gf"),
                 number(pass.speed_mm_s) + QStringLiteral(" mm/s"),
                 pass.depth > 0 ? number(pass.depth, 1) : QStringLiteral("–"),
                 pass.repeats > 1 ? QStringLiteral("%1×").arg(pass.repeats) : QStringLiteral("–"),
                 duration(pass.seconds), pass.pause_before ? QObject::tr("pause before") : QString()});
  }
  return table({QObject::tr("pass"), QObject::tr("sheet"), QObject::tr("what"), QObject::tr("tool"),
                QObject::tr("holder"), QObject::tr("force"), QObject::tr("speed"), QObject::tr("mark"),
                QObject::tr("repeats"), QObject::tr("time"), QString()},
               rows);
}

QString card_text(const Project& project, const SetupCard& card, std::size_t pauses) {
  QString out = QStringLiteral("<h3>%1</h3>\n")
                    .arg(card.pause == npos ? QObject::tr("Before the start")
                         : card.hands       ? QObject::tr("Pause %1 of %2, before pass %3, after about %4")
                                            .arg(card.pause + 1)
                                            .arg(pauses)
                                            .arg(card.before_pass + 1)
                                            .arg(duration(card.start_s))
                                      : QObject::tr("Wait %1 of %2, before pass %3, after about %4")
                                            .arg(card.pause + 1)
                                            .arg(pauses)
                                            .arg(card.before_pass + 1)
                                            .arg(duration(card.start_s)));
  for (const auto& point : card.points) {
    if (point.kind == SetupPoint::Kind::caution) continue;  // they have a place of their own
    out += QStringLiteral("<p style=\"margin:2px 0 2px 12px\">☐ %1</p>\n")
               .arg(escaped(sentence(point.said, project.unit)));
  }
  out += QStringLiteral("<p>%1</p>\n")
             .arg(card.last ? QObject::tr("Then it runs to the end, about %1.").arg(duration(card.next_hands_s))
                            : QObject::tr("Then hands are free for about %1.").arg(duration(card.next_hands_s)));
  return out;
}

}  // namespace

QString job_sheet_text(const Project& project, const Derived& derived) {
  const Plan& plan = derived.plan;
  const auto cards = setup_cards(project, derived.layout, plan);
  QString out = QStringLiteral("<h1>%1</h1>\n").arg(escaped(project.name));
  out += QStringLiteral("<p>%1</p>\n")
             .arg(QObject::tr("Job sheet. About %1 with %2 pauses, %3 of it running. Machine: %4, mat %5 × %6.")
                      .arg(duration(plan.seconds))
                      .arg(plan.pauses.size())
                      .arg(duration(plan.running_seconds()), escaped(project.machine.name),
                           length(project.machine.mat.width_mm, project.unit),
                           length(project.machine.mat.height_mm, project.unit)));
  out += QStringLiteral("<h2>%1</h2>\n<ul>\n").arg(QObject::tr("Cautions"));
  for (const auto& card : cards) {
    for (const auto& point : card.points) {
      if (point.kind == SetupPoint::Kind::caution)
        out += QStringLiteral("<li>%1</li>\n").arg(escaped(sentence(point.said, project.unit)));
    }
  }
  for (const auto& finding : derived.findings) {
    if (finding.severity != Severity::info)
      out += QStringLiteral("<li>%1</li>\n").arg(escaped(sentence(finding, project.unit)));
  }
  out += QStringLiteral("<li>%1</li>\n</ul>\n")
             .arg(QObject::tr(
                 "Do not take the mat out between passes: what is drawn and what is cut must land in register."));
  out += QStringLiteral("<h2>%1</h2>\n").arg(QObject::tr("Stock")) + stock_table(project, derived);
  out += QStringLiteral("<h2>%1</h2>\n").arg(QObject::tr("Passes")) + pass_table(project, derived);
  out += QStringLiteral("<h2>%1</h2>\n").arg(QObject::tr("What hands do"));
  for (const auto& card : cards) out += card_text(project, card, plan.pauses.size());
  return out;
}

Result<int> write_job_sheet_pdf(const Project& project, const Derived& derived, const std::string& path,
                                const Paper& paper) {
  if (derived.plan.passes.empty()) return fail(ErrorKind::bad_request, {"nothing-to-run"}, path);
  QBuffer buffer;
  buffer.open(QIODevice::WriteOnly);
  QPdfWriter pdf(&buffer);
  constexpr int kDots = 1200;
  constexpr double kMargin = 15, kUnits = 96 / kMmPerInch;  // mm; page units a mm
  pdf.setResolution(kDots);
  pdf.setTitle(QString::fromStdString(project.name));
  pdf.setCreator(QStringLiteral("Dot Lane"));
  const auto page_of = [&](double width, double height) {
    pdf.setPageLayout(QPageLayout(QPageSize(QSizeF(width, height), QPageSize::Millimeter, {}, QPageSize::ExactMatch),
                                  QPageLayout::Portrait, {}, QPageLayout::Millimeter));
  };
  page_of(paper.width_mm, paper.height_mm);
  QPainter p;
  if (!p.begin(&pdf)) return fail(ErrorKind::unreadable, {"pages-not-made"}, path);
  QTextDocument text;
  text.setDefaultFont(ui_font(12));
  text.setDefaultStyleSheet(
      QStringLiteral("h1{font-size:22px} h2{font-size:16px} h3{font-size:13px} td,th{font-size:11px}"));
  text.setHtml(job_sheet_text(project, derived));
  const QSizeF body((paper.width_mm - 2 * kMargin) * kUnits, (paper.height_mm - 2 * kMargin) * kUnits);
  text.setPageSize(body);
  int pages = 0;
  const double scale = kDots / kMmPerInch / kUnits;
  for (int i = 0; i < text.pageCount(); ++i, ++pages) {
    if (i > 0) pdf.newPage();
    p.save();
    p.scale(scale, scale);
    p.translate(kMargin * kUnits, kMargin * kUnits - i * body.height());
    p.setClipRect(QRectF(0, i * body.height(), body.width(), body.height()));
    text.drawContents(&p, QRectF(0, i * body.height(), body.width(), body.height()));
    p.restore();
  }
  for (const auto& placed : derived.layout.sheets) {
    if (placed.sheet.not_now) continue;
    const QSizeF page = sheet_page(placed.sheet);
    page_of(page.width(), page.height());
    pdf.newPage();
    paint_sheet_page(p, project, derived, placed.sheet, 0, kDots / kMmPerInch);
    ++pages;
  }
  if (!p.end()) return fail(ErrorKind::unreadable, {"pages-not-made"}, path);
  const auto ok = write_file(path, {buffer.data().constData(), static_cast<std::size_t>(buffer.data().size())});
  if (!ok) return tl::unexpected<Error>(ok.error());
  return pages;
}

Result<void> write_job_sheet_html(const Project& project, const Derived& derived, const std::string& path) {
  if (derived.plan.passes.empty()) return fail(ErrorKind::bad_request, {"nothing-to-run"}, path);
  QString html =
      QStringLiteral(
          "<!doctype html>\n<html><head><meta charset=\"utf-8\"><title>%1</title>\n<style>body{font:15px/1.45 "
          "sans-serif;color:#2b2a28;background:#fbf8f1;max-width:900px;margin:2em auto;padding:0 1em}"
          "table{border-collapse:collapse}td,th{border:1px solid #8b857b;padding:.25em .6em;text-align:left}"
          "ul{list-style:none;padding-left:.5em}section{break-before:page}</style></head><body>\n")
          .arg(escaped(project.name));
  html += job_sheet_text(project, derived);
  constexpr double kPixelsPerMm = 5;
  for (std::size_t i = 0; i < derived.layout.sheets.size(); ++i) {
    const Sheet& sheet = derived.layout.sheets[i].sheet;
    if (sheet.not_now) continue;
    QBuffer buffer;
    buffer.open(QIODevice::WriteOnly);
    const QImage image = sheet_image(project, derived, {sheet.id, 0}, kPixelsPerMm);
    if (image.isNull() || !image.save(&buffer, "PNG")) return fail(ErrorKind::unsupported, {"picture-not-made"}, path);
    const Stock* stock = find_stock(project, sheet.stock);
    html += QStringLiteral(
                "<section><h2>%1</h2>\n<img alt=\"%1\" style=\"width:%2mm;height:%3mm\" "
                "src=\"data:image/png;base64,%4\"></section>\n")
                .arg(QObject::tr("Sheet %1: %2").arg(i + 1).arg(escaped(stock ? stock->name : sheet.stock)))
                .arg(sheet.area.width(), 0, 'f', 2)
                .arg(sheet.area.height(), 0, 'f', 2)
                .arg(QString::fromLatin1(buffer.data().toBase64()));
  }
  html += QStringLiteral("</body></html>\n");
  return write_file(path, html.toStdString());
}

}  // namespace dotlane
