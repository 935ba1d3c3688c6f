#include "app/sheets/parts_ledger.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QMouseEvent>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <algorithm>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

constexpr double kThin = 0.1;  // mm: a thumbnail shows no more

class PartPainter : public QStyledItemDelegate {
 public:
  PartPainter(const PartsModel& model, PartsList* list) : QStyledItemDelegate(list), model_(model), list_(list) {}

  QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const override {
    return {200, model_.row(index.row()).laid ? 46 : 27};
  }

  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
    p->save();
    p->setRenderHint(QPainter::Antialiasing);
    QRectF r = option.rect;
    r.setLeft(0);
    const PartsModel::Row& row = model_.row(index.row());
    const Theme& t = theme();
    if (row.laid) {
      paintPart(*p, r, *row.laid, option.state & QStyle::State_Selected);
    } else {
      paintSheet(*p, r, row.sheet);
    }
    if (list_->target() == index.row()) {
      p->setPen(QPen(t.accent, 2));
      p->setBrush(Qt::NoBrush);
      p->drawRect(r.adjusted(1, 1, -1, -1));
    }
    p->restore();
  }

 private:
  void paintSheet(QPainter& p, const QRectF& r, int id) const {
    const Theme& t = theme();
    SheetDesk& desk = model_.desk();
    p.fillRect(r, t.dark ? t.panel.lighter(118) : QColor("#F0E9DC"));
    QString name = QObject::tr("Waiting"), right;
    double left = 14;
    if (const Sheet* sheet = desk.layout().sheet(id)) {
      const Stock* stock = find_stock(model_.desk().shown()->project, sheet->stock);
      if (stock)
        swatch_icon(to_qcolor(stock->color)).paint(&p, QRect(14, static_cast<int>(r.center().y()) - 8, 16, 16));
      left = 38;
      name = QStringLiteral("%1  %2").arg(desk.number_of(id)).arg(qs(stock ? stock->name : sheet->stock));
      const SheetUse* use = desk.use_of(id);
      right = sheet->not_now ? QObject::tr("not this time")
              : use          ? QLocale().toString(100 * use->used, 'f', 0) + QStringLiteral(" %")
                             : QString();
    }
    p.setFont(ui_font(11));
    const int wide = p.fontMetrics().horizontalAdvance(right);
    p.setPen(t.quiet);
    p.drawText(r.adjusted(0, 0, -14, 0), Qt::AlignRight | Qt::AlignVCenter, right);
    p.setFont(ui_font(13, true));
    p.setPen(id == 0 ? t.hands.darker(t.dark ? 100 : 125) : t.ink);
    p.drawText(QRectF(left, r.top(), r.right() - left - wide - 22, r.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(name, Qt::ElideRight, static_cast<int>(r.right() - left) - wide - 22));
  }

  void paintPart(QPainter& p, const QRectF& r, std::size_t k, bool selected) const {
    const Theme& t = theme();
    const SheetDesk& desk = model_.desk();
    const LaidPart& laid = desk.layout().laid[k];
    const Part& part = desk.layout().parts[laid.part];
    const Project& project = model_.desk().shown()->project;
    if (selected || desk.hovered() == k) p.fillRect(r, t.accent_soft);
    if (selected) p.fillRect(QRectF(0, r.top(), 3, r.height()), t.accent);
    const QString number = QString::number(part.number);
    p.setFont(ui_font(11, true));
    p.setPen(QPen(t.accent, 1.4));
    p.setBrush(laid.pinned ? t.accent : t.field);
    const double half = std::max(10.0, p.fontMetrics().horizontalAdvance(number) / 2.0 + 5);
    const QRectF ring(26 - half, r.center().y() - 10, 2 * half, 20);
    p.drawRoundedRect(ring, 10, 10);
    p.setPen(laid.pinned ? t.field : t.accent);
    p.drawText(ring, Qt::AlignCenter, number);
    const QRectF box(44, r.top() + 6, 34, 34);
    p.setPen(QPen(t.hairline, 1));
    p.setBrush(t.field);
    p.drawRoundedRect(box, 6, 6);
    const View view = View::fitting(part.bounds(), box, 4);
    QPainterPath shape;
    shape.setFillRule(Qt::OddEvenFill);
    const Region body = part.body();
    for (const auto& whole : body.rings) {
      QPolygonF pixels;
      for (const Vec q : thinned(whole, kThin)) pixels.append(view.to_px(q));
      shape.addPolygon(pixels);
      shape.closeSubpath();
    }
    if (body.empty()) shape.addRect(view.to_px(part.reach));
    const Stock* stock = find_stock(project, part.stock);
    p.setPen(QPen(t.quiet, 0.8));
    p.setBrush(body.empty() ? QBrush(Qt::NoBrush) : QBrush(to_qcolor(stock ? stock->color : Color{255, 255, 255})));
    p.drawPath(shape);
    const double x = 88, room = r.right() - x - 12;
    p.setFont(ui_font(13, selected));
    p.setPen(laid.not_now ? t.quiet : t.ink);
    p.drawText(QRectF(x, r.top() + 4, room, 20), Qt::AlignVCenter,
               p.fontMetrics().elidedText(desk.name_of(k), Qt::ElideRight, static_cast<int>(room)));
    QString facts = size_text(part.bounds(), project.unit) + QChar(' ') + unit_word(project.unit);
    if (laid.not_now) facts = QObject::tr("not this time");
    p.setFont(ui_font(12));
    p.setPen(t.quiet);
    p.drawText(QRectF(x, r.top() + 23, room, 18), Qt::AlignVCenter,
               p.fontMetrics().elidedText(facts, Qt::ElideRight, static_cast<int>(room)));
    p.setPen(QPen(t.hairline, 1));
    p.setRenderHint(QPainter::Antialiasing, false);
    p.drawLine(QPointF(16, r.bottom()), QPointF(r.right() - 14, r.bottom()));
  }

  const PartsModel& model_;
  const PartsList* list_;
};

}  // namespace

PartsModel::PartsModel(SheetDesk& desk, QObject* parent) : QAbstractListModel(parent), desk_(desk) {}

int PartsModel::rowCount(const QModelIndex& parent) const {
  return parent.isValid() ? 0 : static_cast<int>(rows_.size());
}

void PartsModel::update() {
  const auto derived = desk_.shown();
  if (derived == shown_) {
    if (!rows_.empty()) emit dataChanged(index(0), index(rowCount() - 1));
    return;
  }
  std::vector<Row> next;
  const Layout& layout = derived->layout;
  const auto add = [&](int sheet) {
    next.push_back({sheet, std::nullopt});
    for (std::size_t k = 0; k < layout.laid.size(); ++k) {
      if (layout.laid[k].sheet == sheet) next.push_back({sheet, k});
    }
  };
  for (const auto& placed : layout.sheets) add(placed.sheet.id);
  if (std::any_of(layout.laid.begin(), layout.laid.end(), [](const LaidPart& laid) { return laid.sheet == 0; })) add(0);
  beginResetModel();
  shown_ = derived;
  rows_ = std::move(next);
  endResetModel();
}

QVariant PartsModel::data(const QModelIndex& index, int role) const {
  if (!index.isValid() || (role != Qt::DisplayRole && role != Qt::AccessibleTextRole && role != Qt::ToolTipRole))
    return {};
  const Row& r = row(index.row());
  if (r.laid) {
    const LaidPart& laid = desk_.layout().laid[*r.laid];
    const QString name = tr("%1 %2").arg(desk_.layout().parts[laid.part].number).arg(desk_.name_of(*r.laid));
    return role == Qt::ToolTipRole ? tr("%1: drag it onto another sheet to find room for it there").arg(name) : name;
  }
  const Sheet* sheet = desk_.layout().sheet(r.sheet);
  const Stock* stock = sheet ? find_stock(desk_.shown()->project, sheet->stock) : nullptr;
  return sheet ? tr("Sheet %1, %2").arg(desk_.number_of(r.sheet)).arg(qs(stock ? stock->name : sheet->stock))
               : tr("Waiting");
}

Qt::ItemFlags PartsModel::flags(const QModelIndex& index) const {
  if (!index.isValid()) return Qt::NoItemFlags;
  return row(index.row()).laid ? Qt::ItemIsEnabled | Qt::ItemIsSelectable : Qt::ItemFlags(Qt::ItemIsEnabled);
}

void PartsList::mousePressEvent(QMouseEvent* event) {
  press_ = event->pos();
  armed_ = event->button() == Qt::LeftButton && !event->modifiers() && indexAt(press_).flags() & Qt::ItemIsSelectable;
  dragging_ = false;
  // A row among several chosen ones keeps them, since they may be dragged together.
  if (armed_ && selectionModel()->isSelected(indexAt(press_))) return;
  QListView::mousePressEvent(event);
}

void PartsList::mouseMoveEvent(QMouseEvent* event) {
  if (armed_ && (event->pos() - press_).manhattanLength() > 8) dragging_ = true;
  if (!dragging_) {
    if (!armed_) QListView::mouseMoveEvent(event);
    return;
  }
  target_ = indexAt(event->pos()).row();
  setCursor(Qt::ClosedHandCursor);
  viewport()->update();
}

void PartsList::mouseReleaseEvent(QMouseEvent* event) {
  const bool dragged = dragging_;
  const int row = target_;
  armed_ = dragging_ = false;
  target_ = -1;
  unsetCursor();
  viewport()->update();
  if (dragged) {
    if (row >= 0) emit droppedOn(row);
    return;
  }
  if (event->button() == Qt::LeftButton && !event->modifiers() && indexAt(event->pos()).isValid())
    selectionModel()->select(indexAt(event->pos()), QItemSelectionModel::ClearAndSelect);
  QListView::mouseReleaseEvent(event);
}

void PartsList::leaveEvent(QEvent* event) {
  target_ = -1;
  QListView::leaveEvent(event);
}

PartsLedger::PartsLedger(SheetDesk& desk, QWidget* parent) : QWidget(parent), desk_(desk) {
  set_kind(this, "left");
  setAttribute(Qt::WA_StyledBackground);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 1, 0);
  column->setSpacing(0);
  auto* head = new QHBoxLayout;
  head->setContentsMargins(16, 10, 14, 8);
  head->addWidget(make_label(tr("Parts"), "heading", this));
  head->addStretch();
  count_ = make_label({}, "quiet", this);
  head->addWidget(count_);
  column->addLayout(head);
  model_ = new PartsModel(desk, this);
  list_ = new PartsList(this);
  list_->setObjectName(QStringLiteral("partsLedger"));
  list_->setAccessibleName(tr("Parts by sheet"));
  list_->setModel(model_);
  list_->setItemDelegate(new PartPainter(*model_, list_));
  list_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list_->setMouseTracking(true);
  column->addWidget(list_, 1);
  connect(&desk_, &SheetDesk::changed, this, &PartsLedger::followDesk);
  connect(list_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &PartsLedger::followList);
  connect(list_, &PartsList::droppedOn, this, &PartsLedger::moveTo);
  connect(list_, &QListView::entered, this,
          [this](const QModelIndex& at) { desk_.hover(at.isValid() ? model_->row(at.row()).laid : std::nullopt); });
  connect(list_, &QListView::clicked, this, [this](const QModelIndex& at) {
    const auto& row = model_->row(at.row());
    if (!row.laid && row.sheet != 0) desk_.pickSheet(row.sheet);
  });
  followDesk();
}

void PartsLedger::followDesk() {
  if (following_) return;
  following_ = true;
  model_->update();
  const auto& laid = desk_.layout().laid;
  const auto waiting = std::count_if(laid.begin(), laid.end(), [](const LaidPart& p) { return p.sheet == 0; });
  count_->setText(tr("%1 on %2")
                      .arg(static_cast<qulonglong>(laid.size()) - static_cast<qulonglong>(waiting))
                      .arg(counted(desk_.layout().sheets.size(), tr("sheet"), tr("sheets"))));
  QItemSelection picked;
  QModelIndex first;
  for (int i = 0; i < model_->rowCount(); ++i) {
    if (!model_->row(i).laid || !desk_.is_chosen(*model_->row(i).laid)) continue;
    picked.select(model_->index(i), model_->index(i));
    if (!first.isValid()) first = model_->index(i);
  }
  if (picked.indexes() != list_->selectionModel()->selectedIndexes()) {
    list_->selectionModel()->select(picked, QItemSelectionModel::ClearAndSelect);
    if (first.isValid()) list_->scrollTo(first);
  }
  list_->viewport()->update();
  following_ = false;
}

void PartsLedger::followList() {
  if (following_) return;
  following_ = true;
  std::vector<std::size_t> chosen;
  for (const QModelIndex& at : list_->selectionModel()->selectedIndexes()) {
    if (model_->row(at.row()).laid) chosen.push_back(*model_->row(at.row()).laid);
  }
  desk_.choose(chosen);
  following_ = false;
  followDesk();
}

/// What is chosen finds room on the sheet of the row, or waits.
void PartsLedger::moveTo(int row) {
  const int sheet = model_->row(row).sheet;
  if (sheet == 0) return desk_.takeOff();
  desk_.findRoomOn(sheet);
}

}  // namespace dotlane
