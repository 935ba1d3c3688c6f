// How the sheets are painted, and what is written over them.
#include <QLocale>
#include <QPainter>

#include "app/bench/handles.hpp"
#include "app/bench/overlay.hpp"
#include "app/sheets/sheets_view.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr double kLeastOffcut = 25;  // mm: narrower ones are not worth keeping (common practice, no published source)

}  // namespace

void SheetsView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.fillRect(rect(), theme().ground);
  if (cells_.empty()) {
    paint_empty_bench(p, QRectF(rect()));
    return;
  }
  art_->paint(p, view_, size(), devicePixelRatioF(), [this] {
    struct OnMat {
      MatCell cell;
      Drawing drawing;
      QImage under;
    };
    std::vector<OnMat> mats;
    std::size_t segments = 0;
    for (const auto& cell : cells_) {
      const auto under = under_.find(cell.load);
      mats.push_back({cell, desk_.layout().on_mats(cell.load), under == under_.end() ? QImage() : under->second});
      segments += mats.back().drawing.segments();
    }
    return Art{segments, [project = shown_->project, mats = std::move(mats), &look = theme()](
                             QPainter& q, const View& view, const QRectF& clip, const std::atomic<bool>* stop) {
                 for (const auto& mat : mats) {
                   const View own{view.px_per_mm, view.to_px(mat.cell.at)};
                   if (!own.to_px(project.machine.mat_area().grown(10)).intersects(clip)) continue;
                   LineOptions how;
                   how.clip = clip, how.stop = stop;
                   paint_mat(q, own, project.machine, look, clip);
                   if (!mat.under.isNull()) {
                     q.setRenderHint(QPainter::SmoothPixmapTransform);
                     q.drawImage(own.to_px(project.machine.mat_area()), mat.under);
                     q.setOpacity(0.3);
                   }
                   paint_sheets(q, own, project, mat.cell.load, Space::mat, look);
                   q.setOpacity(1);
                   paint_usable_area(q, own, project.machine, look);
                   paint_lines(q, own, project, mat.drawing, look, how);
                 }
               }};
  });
  p.setRenderHint(QPainter::Antialiasing);
  paintOffcuts(p);
  paintParts(p);
  paintCaptions(p);
  paintTray(p);
  paintDragged(p);
  if (drag_ == Drag::band && moved_) paintBand(p);
  paintFocusRing(p);
}

void SheetsView::paintOffcuts(QPainter& p) {
  const LengthUnit unit = session_.project().unit;
  p.setFont(ui_font(11));
  for (const auto& placed : desk_.layout().sheets) {
    const SheetUse* use = desk_.use_of(placed.sheet.id);
    if (!use || use->laid.empty() || std::min(use->offcut.width(), use->offcut.height()) < kLeastOffcut) continue;
    const QRectF r = view_of(placed.sheet.load).to_px(use->offcut).adjusted(2, 2, -2, -2);
    const Stock* stock = find_stock(session_.project(), placed.sheet.stock);
    const bool dark = luminance(stock ? stock->color : Color{255, 255, 255}) < 0.3;
    QColor line = dark ? QColor("#DCE3DE") : QColor("#5F5A52");
    QPen pen(line, 1, Qt::CustomDashLine);
    pen.setDashPattern({4, 4});
    p.setPen(pen);
    p.setBrush(Qt::NoBrush);
    p.drawRect(r);
    const QString text = tr("offcut %1 %2").arg(size_text(use->offcut, unit), unit_word(unit));
    if (p.fontMetrics().horizontalAdvance(text) + 8 > r.width() || r.height() < 18) continue;
    p.setPen(line);
    p.drawText(r, Qt::AlignCenter, text);
  }
}

void SheetsView::paintRing(QPainter& p, std::size_t k) {
  const LaidPart& laid = desk_.layout().laid[k];
  const QPointF at = middle(k);
  const Theme& t = theme();
  const QString number = QString::number(desk_.layout().parts[laid.part].number);
  p.setFont(ui_font(10.5, true));
  const double wide = std::max(9.0, p.fontMetrics().horizontalAdvance(number) / 2.0 + 5);
  p.setPen(QPen(laid.not_now ? t.quiet : t.accent, 1.4));
  const QColor ground = t.dark ? t.panel : QColor(Qt::white);
  p.setBrush(laid.pinned ? t.accent : ground);
  p.drawRoundedRect(QRectF(at.x() - wide, at.y() - 9, 2 * wide, 18), 9, 9);
  p.setPen(laid.pinned ? ground : t.accent);
  p.drawText(QRectF(at.x() - wide, at.y() - 9, 2 * wide, 18), Qt::AlignCenter, number);
}

void SheetsView::paintParts(QPainter& p) {
  const Theme& t = theme();
  const auto& laid = desk_.layout().laid;
  const bool dragging = !puts_.empty();
  const auto moving = [&](std::size_t k) {
    return dragging && std::any_of(puts_.begin(), puts_.end(), [&](const Put& put) { return put.laid == k; });
  };
  const QRectF seen(rect());
  std::vector<std::size_t> rings;
  for (std::size_t k = 0; k < laid.size(); ++k) {
    if (laid[k].sheet == 0) continue;
    const QRectF box = boxOf(k);
    if (!box.intersects(seen)) continue;
    const bool lit = laid[k].not_now || desk_.is_chosen(k) || desk_.hovered() == k || moving(k);
    const QPainterPath path = lit ? onScreen(k) : QPainterPath();
    if (laid[k].not_now) {
      QColor veil = t.mat;
      veil.setAlpha(170);
      p.setPen(Qt::NoPen);
      p.setBrush(veil);
      p.drawPath(path);
      p.setBrush(QBrush(t.quiet, Qt::BDiagPattern));
      p.drawPath(path);
    }
    const bool chosen = desk_.is_chosen(k), hovered = desk_.hovered() == k;
    if (chosen || hovered) {
      QColor fill = t.accent;
      fill.setAlpha(chosen ? 70 : 36);
      p.setBrush(fill);
      p.setPen(QPen(QColor(255, 255, 255, 190), chosen ? 5 : 3.6));  // so that it stands out on dark card
      p.drawPath(path);
      p.setBrush(Qt::NoBrush);
      p.setPen(QPen(t.accent, chosen ? 2.4 : 1.6));
      p.drawPath(path);
    }
    if (moving(k)) {
      p.setPen(Qt::NoPen);
      QColor gone = t.ground;
      gone.setAlpha(150);
      p.setBrush(gone);
      p.drawPath(path);
    } else if (chosen || hovered || std::min(box.width(), box.height()) > 15) {
      rings.push_back(k);
    }
  }
  // What is kept together is tied.
  for (const std::size_t k : rings) {
    const PartRecord* record = desk_.record_of(k);
    if (!record || record->together == 0) continue;
    const auto with = desk_.layout().moved_with(shown_->project, k);
    for (const std::size_t m : with) {
      if (m <= k || laid[m].sheet != laid[k].sheet) continue;
      QPen tie(t.accent, 1.4, Qt::CustomDashLine);
      tie.setDashPattern({1, 3});
      p.setPen(tie);
      p.drawLine(middle(k), middle(m));
    }
  }
  for (const std::size_t k : rings) paintRing(p, k);
  if (!dragging) {
    const QRectF frame = chosenFrame();
    if (!frame.isEmpty()) paint_turn_knob(p, frame, t);
  }
}

void SheetsView::paintCaptions(QPainter& p) {
  const Theme& t = theme();
  const LengthUnit unit = session_.project().unit;
  for (const auto& cell : cells_) {
    const QRectF mat = view_of(cell).to_px(session_.project().machine.mat_area());
    std::vector<const Sheet*> on_it;
    for (const auto& placed : desk_.layout().sheets) {
      if (placed.sheet.load == cell.load) on_it.push_back(&placed.sheet);
    }
    const double each = mat.width() / static_cast<double>(std::max<std::size_t>(1, on_it.size()));
    for (std::size_t i = 0; i < on_it.size(); ++i) {
      const Sheet& sheet = *on_it[i];
      const QRectF place(mat.left() + each * static_cast<double>(i), mat.bottom() + 12, each - 8, 18);
      const Stock* stock = find_stock(session_.project(), sheet.stock);
      const QString name = tr("%1 %2 · %3")
                               .arg(sheet.outline.empty() ? tr("Sheet") : tr("Scrap"))
                               .arg(desk_.number_of(sheet.id))
                               .arg(qs(stock ? stock->name : sheet.stock));
      const SheetUse* use = desk_.use_of(sheet.id);
      QStringList facts;
      if (sheet.not_now) facts << tr("not this time");
      if (use) facts << tr("%1 % used").arg(QLocale().toString(100 * use->used, 'f', 0));
      if (use && !use->laid.empty() && std::min(use->offcut.width(), use->offcut.height()) >= kLeastOffcut)
        facts << tr("offcut %1 %2").arg(size_text(use->offcut, unit), unit_word(unit));
      facts << tr("mat load %1").arg(cell.load);
      const bool picked = desk_.sheet() && desk_.sheet()->id == sheet.id;
      p.setFont(ui_font(12.5, true));
      p.setPen(picked ? t.accent : t.ink);
      p.drawText(place, Qt::AlignVCenter | Qt::AlignLeft,
                 p.fontMetrics().elidedText(name, Qt::ElideRight, static_cast<int>(place.width())));
      p.setFont(ui_font(11.5));
      p.setPen(sheet.not_now ? t.hands.darker(t.dark ? 100 : 125) : t.quiet);
      while (facts.size() > 1 && p.fontMetrics().horizontalAdvance(facts.join(QStringLiteral(" · "))) > place.width())
        facts.removeLast();
      p.drawText(place.translated(0, 17), Qt::AlignVCenter | Qt::AlignLeft,
                 p.fontMetrics().elidedText(facts.join(QStringLiteral(" · ")), Qt::ElideRight,
                                            static_cast<int>(place.width())));
    }
  }
}

void SheetsView::paintTray(QPainter& p) {
  const QRectF box = tray();
  if (box.isEmpty()) return;
  const Theme& t = theme();
  const auto all = waiting();
  QPen edge(aim_.tray && !puts_.empty() ? t.accent : t.hands, 1.2, Qt::CustomDashLine);
  edge.setDashPattern({4, 4});
  p.setPen(edge);
  p.setBrush(t.panel);
  p.drawRoundedRect(box, 8, 8);
  p.setFont(ui_font(13, true));
  p.setPen(t.hands.darker(t.dark ? 100 : 125));
  p.drawText(QRectF(box.left() + 16, box.top() + 10, 160, 18), Qt::AlignLeft | Qt::AlignVCenter, tr("Waiting"));
  p.setFont(ui_font(11.5));
  p.setPen(t.quiet);
  p.drawText(QRectF(box.left() + 16, box.top() + 30, 164, box.height() - 36),
             Qt::AlignLeft | Qt::AlignTop | Qt::TextWordWrap,
             tr("%1 no room yet. Drag %2 onto a sheet, or add a sheet.")
                 .arg(all.size() == 1 ? tr("1 part has") : tr("%1 parts have").arg(all.size()))
                 .arg(all.size() == 1 ? tr("it") : tr("them")));
  std::size_t shown = 0;
  for (const std::size_t k : all) {
    const QRectF place = in_tray(k);
    if (place.isEmpty()) break;
    ++shown;
    const Part& part = desk_.layout().parts[desk_.layout().laid[k].part];
    const View view =
        View::fitting(part.bounds(), QRectF(place.left(), place.top(), place.width(), place.height() - 18), 4);
    const Stock* stock = find_stock(session_.project(), part.stock);
    const bool chosen = desk_.is_chosen(k), hovered = desk_.hovered() == k;
    p.setPen(QPen(chosen || hovered ? t.accent : t.quiet, chosen ? 2 : 1));
    p.setBrush(to_qcolor(stock ? stock->color : Color{255, 255, 255}));
    p.drawPath(body(k, view, {}));
    p.setFont(ui_font(11, chosen));
    p.setPen(t.ink);
    p.drawText(QRectF(place.left() - 2, place.bottom() - 16, place.width() + 4, 16), Qt::AlignCenter,
               p.fontMetrics().elidedText(QStringLiteral("%1 %2").arg(part.number).arg(qs(part.name)), Qt::ElideRight,
                                          static_cast<int>(place.width()) + 4));
  }
  if (shown < all.size()) {
    p.setPen(t.quiet);
    p.drawText(QRectF(box.right() - 70, box.top(), 60, box.height()), Qt::AlignRight | Qt::AlignVCenter,
               tr("and %1 more").arg(all.size() - shown));
  }
}

void SheetsView::paintDragged(QPainter& p) {
  if (puts_.empty()) return;
  const Theme& t = theme();
  const bool bad = !landed_ && (aim_.refused || !aim_.inside || !aim_.clashes.empty());
  if (!landed_) {
    // What is in the way is told by a pattern, not by colour alone.
    for (const auto& clash : aim_.clashes) {
      p.setPen(QPen(t.serious, 1.6, Qt::DashLine));
      p.setBrush(QBrush(t.serious, Qt::FDiagPattern));
      p.drawPath(onScreen(clash.b));
    }
  }
  for (const auto& put : puts_) {
    const QPainterPath path = body(put.laid, view_, put.map);
    QColor fill = bad ? t.serious : t.accent;
    fill.setAlpha(60);
    p.setPen(QPen(bad ? t.serious : t.accent, 2, bad ? Qt::DashLine : Qt::SolidLine));
    p.setBrush(fill);
    p.drawPath(path);
    if (bad) {
      p.setBrush(QBrush(t.serious, Qt::BDiagPattern));
      p.setPen(Qt::NoPen);
      p.drawPath(path);
    }
  }
  if (landed_) return;
  const LengthUnit unit = session_.project().unit;
  QString text;
  if (aim_.tray) {
    text = tr("take off the sheet");
  } else if (aim_.refused) {
    text = tr("another stock");
  } else if (!aim_.inside) {
    text = tr("over the edge");
  } else if (!aim_.clashes.empty()) {
    const Clash& nearest = aim_.clashes.front();
    text = nearest.apart_mm > 0 ? tr("%1 to %2").arg(length_text(nearest.apart_mm, unit), desk_.name_of(nearest.b))
                                : tr("on %1").arg(desk_.name_of(nearest.b));
  } else if (drag_ == Drag::turn) {
    text = QLocale().toString(turned_, 'f', 1) + QStringLiteral("°");
  }
  if (drag_ == Drag::turn && bad) text = QLocale().toString(turned_, 'f', 1) + QStringLiteral("° · ") + text;
  if (!text.isEmpty()) paint_pill(p, text, last_ + QPointF(0, 28), QRectF(rect()));
}

}  // namespace dotlane
