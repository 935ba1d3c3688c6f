#include "app/log/log_view.hpp"

#include <QDateTime>
#include <QLocale>
#include <QPainter>
#include <QScrollArea>
#include <QStyledItemDelegate>
#include <QVBoxLayout>

#include "app/log/came_out.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "app/widgets/tile_card.hpp"

namespace dotlane {
namespace {

constexpr QSize kTile(180, 184);
constexpr int kPictureHeight = 104;

QDateTime time_of(const RunGlance& g) { return QDateTime::fromString(qs(g.begun), Qt::ISODate); }

class TileDelegate : public QStyledItemDelegate {
 public:
  TileDelegate(RunTiles& tiles, QObject* parent) : QStyledItemDelegate(parent), tiles_(tiles) {}
  [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return kTile; }
  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& at) const override {
    const RunGlance& g = tiles_.glance(at.row());
    const Theme& t = theme();
    const QDateTime when = time_of(g);
    p->save();
    const QRectF whole = QRectF(option.rect).adjusted(6, 2, -6, -2);
    p->setFont(ui_font(12, true));
    p->setPen(t.quiet);
    if (tiles_.beginsMonth(at.row()))
      p->drawText(QRectF(whole.left() + 2, whole.top(), whole.width(), 18), Qt::AlignVCenter,
                  QLocale().toString(when.date(), QStringLiteral("MMMM yyyy")));
    const QRectF under =
        paint_tile_card(*p, option, whole.adjusted(0, 20, 0, 0), tiles_.desk().picture(g.id), kPictureHeight);
    p->setFont(ui_font(12.5, true));
    p->setPen(t.ink);
    paint_tile_line(*p, {under.left(), under.top(), under.width() - 14, 18}, qs(g.project));
    paint_came_out(*p, QPointF(under.right() - 5, under.top() + 10), g.came_out, 6);
    p->setFont(ui_font(11));
    p->setPen(t.quiet);
    QString line = QLocale().toString(when.date(), QStringLiteral("d MMM")) + QStringLiteral(" · ") +
                   time_text(g.real_s > 0 ? g.real_s : g.planned_s);
    if (g.test_cut) line += LogView::tr(" · test cut");
    if (g.rehearsed) line += LogView::tr(" · rehearsed");
    if (g.outcome != Outcome::done) line += LogView::tr(" · broken off");
    paint_tile_line(*p, {under.left(), under.top() + 17, under.width(), 16}, line);
    p->restore();
  }

 private:
  RunTiles& tiles_;
};

}  // namespace

RunTiles::RunTiles(LogDesk& desk, QObject* parent) : QAbstractListModel(parent), desk_(desk) {
  connect(&desk_, &LogDesk::changed, this, [this] {
    beginResetModel();
    endResetModel();
  });
  connect(&desk_, &LogDesk::pictureCame, this, [this](qint64 run) {
    const auto& all = desk_.glances();
    const auto at = std::find_if(all.begin(), all.end(), [&](const RunGlance& g) { return g.id == run; });
    if (at == all.end()) return;
    const QModelIndex tile = index(static_cast<int>(at - all.begin()));
    emit dataChanged(tile, tile);
  });
}

int RunTiles::rowCount(const QModelIndex& under) const {
  return under.isValid() ? 0 : static_cast<int>(desk_.glances().size());
}

bool RunTiles::beginsMonth(int row) const {
  constexpr std::size_t kMonth = 7;  // yyyy-mm
  return row == 0 || glance(row - 1).begun.substr(0, kMonth) != glance(row).begun.substr(0, kMonth);
}

QVariant RunTiles::data(const QModelIndex& at, int role) const {
  if (!at.isValid() || at.row() >= rowCount()) return {};
  const RunGlance& g = glance(at.row());
  if (role == Qt::UserRole) return static_cast<qint64>(g.id);
  if (role == Qt::DisplayRole || role == Qt::AccessibleTextRole || role == Qt::ToolTipRole)
    return tr("%1, %2: %3%4")
        .arg(qs(g.project), QLocale().toString(time_of(g), QLocale::ShortFormat), came_out_text(g.came_out),
             g.note.empty() ? QString() : QStringLiteral("\n") + qs(g.note));
  return {};
}

WorkedView::WorkedView(QWidget* parent) : QWidget(parent) {
  setObjectName(QStringLiteral("workedView"));
  setAccessibleName(tr("What worked: force against blade depth, a field for each stock"));
}

void WorkedView::setFields(std::vector<LogDesk::Field> fields) {
  fields_ = std::move(fields);
  arrange();
  update();
}

namespace {

constexpr QSize kField(236, 220);

}  // namespace

void WorkedView::arrange() {
  const int columns = std::max(1, (width() - 16) / kField.width());
  const int rows = (static_cast<int>(fields_.size()) + columns - 1) / columns;
  setMinimumHeight(rows * kField.height() + 16);
}

void WorkedView::resizeEvent(QResizeEvent* event) {
  QWidget::resizeEvent(event);
  arrange();
}

void WorkedView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  p.fillRect(rect(), t.ground);
  const int columns = std::max(1, (width() - 16) / kField.width());
  for (std::size_t n = 0; n < fields_.size(); ++n) {
    const auto& field = fields_[n];
    const int column = static_cast<int>(n) % columns, row = static_cast<int>(n) / columns;
    const QRectF cell(8 + column * kField.width(), 8 + row * kField.height(), kField.width() - 10,
                      kField.height() - 10);
    p.setPen(QPen(t.hairline, 1));
    p.setBrush(t.field);
    p.drawRoundedRect(cell, 8, 8);
    p.setPen(t.ink);
    p.setFont(ui_font(12.5, true));
    const QRectF head = cell.adjusted(12, 6, -10, 0);
    p.drawText(QRectF(head.left(), head.top(), head.width(), 18), Qt::AlignVCenter,
               p.fontMetrics().elidedText(field.stock, Qt::ElideRight, int(head.width())));
    p.setPen(t.quiet);
    p.setFont(ui_font(11));
    p.drawText(QRectF(head.left(), head.top() + 17, head.width(), 16), Qt::AlignVCenter,
               tr("%1 · %2").arg(field.tool, counted(field.tried.size(), tr("pass"), tr("passes"))));
    const QRectF plot(cell.left() + 34, cell.top() + 46, cell.width() - 48, cell.height() - 82);
    const double most = field.forces.back(), deepest = field.depths.back() + 0.5, least = field.depths.front() - 0.5;
    const auto at = [&](double force, double depth) {
      return QPointF(plot.left() + plot.width() * force / most,
                     plot.bottom() - plot.height() * (std::max(depth, 0.6) - least) / (deepest - least));
    };
    // Where it probably cuts clean: the surer, the fuller.
    const double high = plot.height() / static_cast<double>(field.depths.size());
    p.setRenderHint(QPainter::Antialiasing, false);  // cells meet on whole pixels
    for (std::size_t f = 0; f < field.forces.size(); ++f) {
      for (std::size_t d = 0; d < field.depths.size(); ++d) {
        QColor shade = t.accent;
        shade.setAlphaF(static_cast<float>(0.34 * field.clean[f * field.depths.size() + d]));
        const double left = f > 0 ? at(field.forces[f - 1], 1).x() : plot.left(), y = at(1, field.depths[d]).y();
        const QPoint from(qRound(left), qRound(y - high / 2));
        p.fillRect(QRect(from, QPoint(qRound(at(field.forces[f], 1).x()) - 1, qRound(y + high / 2) - 1)), shade);
      }
    }
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(t.hairline, 1));
    p.setBrush(Qt::NoBrush);
    p.drawRect(plot);
    p.setPen(t.quiet);
    p.setFont(ui_font(10.5));
    for (const double depth : field.depths) {
      if (field.depths.size() > 6 && static_cast<int>(depth) % 2 != 0) continue;
      p.drawText(QRectF(cell.left() + 4, at(0, depth).y() - 8, 26, 16), Qt::AlignRight | Qt::AlignVCenter,
                 QLocale().toString(depth, 'f', 0));
    }
    const double tick = most > 250 ? 100 : most > 120 ? 50 : 25;
    for (double force = tick; force < most; force += tick)
      p.drawText(QRectF(at(force, 0).x() - 20, plot.bottom() + 2, 40, 14), Qt::AlignCenter,
                 QLocale().toString(force, 'f', 0));
    p.drawText(QRectF(plot.left(), plot.bottom() + 16, plot.width(), 14), Qt::AlignCenter,
               tr("force, gf; upward: depth mark"));
    for (const auto& tried : field.tried) paint_came_out(p, at(tried.force_gf, tried.depth), tried.out, 4.2);
  }
}

LogView::LogView(LogDesk& desk, QWidget* parent) : QStackedWidget(parent), desk_(desk) {
  setObjectName(QStringLiteral("logView"));
  model_ = new RunTiles(desk, this);
  tiles_ = new QListView(this);
  tiles_->setObjectName(QStringLiteral("runTiles"));
  tiles_->setAccessibleName(tr("Runs, the newest first"));
  tiles_->setModel(model_);
  tiles_->setItemDelegate(new TileDelegate(*model_, tiles_));
  tiles_->setViewMode(QListView::IconMode);
  tiles_->setMovement(QListView::Static);
  tiles_->setResizeMode(QListView::Adjust);
  tiles_->setUniformItemSizes(true);
  tiles_->setGridSize(kTile);
  tiles_->setLayoutMode(QListView::Batched);
  tiles_->setBatchSize(400);
  tiles_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  tiles_->setFrameShape(QFrame::NoFrame);
  tiles_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  tiles_->setContentsMargins(10, 10, 0, 0);
  set_kind(tiles_, "ground");
  addWidget(tiles_);
  worked_ = new WorkedView(nullptr);
  auto* scroll = new QScrollArea(this);
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  scroll->setWidget(worked_);
  worked_page_ = scroll;
  addWidget(scroll);
  nothing_ = new QWidget(this);
  set_kind(nothing_, "ground");
  auto* column = new QVBoxLayout(nothing_);
  auto* words = make_label(
      tr("No run yet that fits. Every run is written down by itself, with what was set and what came out; say how each "
         "pass came out, and the next setting is proposed from that."),
      "quiet", nothing_);
  words->setObjectName(QStringLiteral("logEmpty"));
  words->setFixedWidth(380);
  words->setAlignment(Qt::AlignCenter);
  column->addStretch();
  auto* centred = new QHBoxLayout;  // an alignment would take the label's height for another width
  centred->addStretch();
  centred->addWidget(words);
  centred->addStretch();
  column->addLayout(centred);
  column->addStretch();
  addWidget(nothing_);
  connect(&desk_, &LogDesk::changed, this, [this] {
    if (currentWidget() != worked_page_)
      setCurrentWidget(desk_.glances().empty() ? nothing_ : static_cast<QWidget*>(tiles_));
  });
  connect(tiles_->selectionModel(), &QItemSelectionModel::selectionChanged, this, [this] {
    const QModelIndexList rows = tiles_->selectionModel()->selectedIndexes();
    if (rows.isEmpty()) return;
    const auto id = [](const QModelIndex& row) { return row.data(Qt::UserRole).toLongLong(); };
    if (rows.size() == 2) {
      const bool first = rows[0] == tiles_->currentIndex();
      desk_.choose(id(rows[first ? 1 : 0]));
      desk_.compareWith(id(rows[first ? 0 : 1]));
    } else {
      desk_.choose(id(tiles_->currentIndex().isValid() ? tiles_->currentIndex() : rows.front()));
    }
  });
}

void LogView::showSeason() { setCurrentWidget(desk_.glances().empty() ? nothing_ : static_cast<QWidget*>(tiles_)); }

void LogView::showWorked(const Project& project) {
  setCurrentWidget(worked_page_);
  desk_.fields(project, [this](std::vector<LogDesk::Field> fields) {
    if (fields.empty()) return setCurrentWidget(nothing_);
    worked_->setFields(std::move(fields));
  });
}

}  // namespace dotlane
