#include "app/make/steps_ledger.hpp"

#include <QHBoxLayout>
#include <QLabel>
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

constexpr int kRing = 18, kRingRight = 14;  // px

class StepPainter : public QStyledItemDelegate {
 public:
  StepPainter(const StepsModel& model, StepsList* list) : QStyledItemDelegate(list), model_(model), list_(list) {}

  QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const override {
    return {200, model_.row(index.row()).laid ? 32 : 34};
  }

  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
    p->save();
    p->setRenderHint(QPainter::Antialiasing);
    QRectF r = option.rect;
    r.setLeft(0);
    const StepsModel::Row& row = model_.row(index.row());
    const Theme& t = theme();
    const bool selected = option.state & QStyle::State_Selected, ticked = model_.ticked(row);
    if (!row.laid) p->fillRect(r, t.dark ? t.panel.lighter(118) : QColor("#F0E9DC"));
    if (selected || (row.laid && model_.desk().hovered() == row.laid)) p->fillRect(r, t.accent_soft);
    if (selected) p->fillRect(QRectF(0, r.top(), 3, r.height()), t.accent);
    row.laid ? paintPart(*p, r, *row.laid, selected, ticked) : paintStep(*p, r, row.step, ticked);
    paintTick(*p, list_->ring(index.row()), ticked);
    p->restore();
  }

 private:
  void paintStep(QPainter& p, const QRectF& r, std::size_t step, bool ticked) const {
    const Theme& t = theme();
    const MakeDesk& desk = model_.desk();
    const auto all = desk.copiesOf(step);
    const QString done = QStringLiteral("%1 / %2").arg(desk.inPlaceOf(step)).arg(all.size());
    const double right = r.right() - kRingRight - kRing - 8;
    p.setFont(ui_font(11.5));
    p.setPen(t.quiet);
    const int wide = p.fontMetrics().horizontalAdvance(done);
    p.drawText(QRectF(right - wide, r.top(), wide, r.height()), Qt::AlignVCenter, done);
    p.setFont(ui_font(13, true));
    p.setPen(ticked ? t.quiet : t.ink);
    const auto room = static_cast<int>(right - wide - 8 - 14);
    p.drawText(QRectF(14, r.top(), room, r.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(QStringLiteral("%1  %2").arg(step + 1).arg(qs(desk.steps()[step].name)),
                                          Qt::ElideRight, room));
  }

  void paintPart(QPainter& p, const QRectF& r, std::size_t laid, bool selected, bool ticked) const {
    const Theme& t = theme();
    const MakeDesk& desk = model_.desk();
    const auto& layout = desk.made()->derived->layout;
    paint_part_number(p, QPointF(30, r.center().y()), layout.parts[layout.laid[laid].part].number, selected, t);
    const QString sheet = model_.sheetOf(laid);
    const double right = r.right() - kRingRight - kRing - 8;
    p.setFont(ui_font(11.5));
    p.setPen(t.quiet);
    const int wide = p.fontMetrics().horizontalAdvance(sheet);
    p.drawText(QRectF(right - wide, r.top(), wide, r.height()), Qt::AlignVCenter, sheet);
    p.setFont(ui_font(13, selected));
    p.setPen(ticked ? t.quiet : t.ink);
    const auto room = static_cast<int>(right - wide - 8 - 52);
    p.drawText(QRectF(52, r.top(), room, r.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(desk.nameOf(laid), Qt::ElideRight, room));
  }

  static void paintTick(QPainter& p, const QRectF& ring, bool ticked) {
    const Theme& t = theme();
    p.setPen(QPen(ticked ? t.accent : t.quiet, 1.4));
    p.setBrush(ticked ? QBrush(t.accent) : QBrush(t.field));
    p.drawEllipse(ring);
    if (!ticked) return;
    p.setPen(QPen(t.dark ? t.panel : QColor(Qt::white), 2, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin));
    const QPointF c = ring.center();
    p.drawPolyline(QPolygonF{c + QPointF(-4, 0.5), c + QPointF(-1, 3.5), c + QPointF(4.5, -3)});
  }

  const StepsModel& model_;
  const StepsList* list_;
};

}  // namespace

StepsModel::StepsModel(MakeDesk& desk, QObject* parent) : QAbstractListModel(parent), desk_(desk) {}

int StepsModel::rowCount(const QModelIndex& parent) const {
  return parent.isValid() ? 0 : static_cast<int>(rows_.size());
}

bool StepsModel::ticked(const Row& row) const {
  if (row.laid) return desk_.isInPlace(*row.laid);
  return desk_.inPlaceOf(row.step) == desk_.copiesOf(row.step).size();
}

QString StepsModel::sheetOf(std::size_t laid) const {
  const Layout& layout = shown_->derived->layout;
  for (std::size_t s = 0; s < layout.sheets.size(); ++s) {
    if (layout.sheets[s].sheet.id == layout.laid[laid].sheet) return tr("sheet %1").arg(s + 1);
  }
  return tr("waits");
}

void StepsModel::update() {
  if (desk_.made() == shown_) {
    if (!rows_.empty()) emit dataChanged(index(0), index(rowCount() - 1));
    return;
  }
  beginResetModel();
  shown_ = desk_.made();
  rows_.clear();
  for (std::size_t s = 0; s < desk_.steps().size(); ++s) {
    const auto copies = desk_.copiesOf(s);
    if (copies.size() != 1) rows_.push_back({s, std::nullopt});
    for (const std::size_t k : copies) rows_.push_back({s, k});
  }
  endResetModel();
}

QVariant StepsModel::data(const QModelIndex& index, int role) const {
  if (!index.isValid()) return {};
  const Row& r = row(index.row());
  if (role == Qt::CheckStateRole) return ticked(r) ? Qt::Checked : Qt::Unchecked;
  if (role != Qt::DisplayRole && role != Qt::AccessibleTextRole && role != Qt::ToolTipRole) return {};
  if (!r.laid)
    return tr("Step %1, %2: %3 of %4 in place")
        .arg(r.step + 1)
        .arg(qs(desk_.steps()[r.step].name))
        .arg(desk_.inPlaceOf(r.step))
        .arg(desk_.copiesOf(r.step).size());
  const Layout& layout = shown_->derived->layout;
  return tr("%1 %2, %3, %4")
      .arg(layout.parts[layout.laid[*r.laid].part].number)
      .arg(desk_.nameOf(*r.laid), sheetOf(*r.laid), ticked(r) ? tr("in place") : tr("not in place yet"));
}

QRect StepsList::ring(int row) const {
  const QRect r = visualRect(model()->index(row, 0));
  return {viewport()->width() - kRingRight - kRing, r.center().y() - kRing / 2, kRing, kRing};
}

void StepsList::mousePressEvent(QMouseEvent* event) {
  const QModelIndex at = indexAt(event->pos());
  if (event->button() == Qt::LeftButton && at.isValid() &&
      ring(at.row()).adjusted(-7, -7, 7, 7).contains(event->pos())) {
    emit ringClicked(at.row());
    return;
  }
  QListView::mousePressEvent(event);
}

void StepsList::keyPressEvent(QKeyEvent* event) {
  const bool tick = event->key() == Qt::Key_Space || event->key() == Qt::Key_Return || event->key() == Qt::Key_Enter;
  if (tick && currentIndex().isValid()) {
    emit ringClicked(currentIndex().row());
    return;
  }
  QListView::keyPressEvent(event);
}

void StepsList::leaveEvent(QEvent* event) {
  QListView::leaveEvent(event);
  emit left();
}

StepsLedger::StepsLedger(MakeDesk& desk, QWidget* parent) : QWidget(parent), desk_(desk) {
  set_kind(this, "left");
  setAttribute(Qt::WA_StyledBackground);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 1, 0);
  column->setSpacing(0);
  auto* head = new QHBoxLayout;
  head->setContentsMargins(16, 10, 14, 8);
  head->addWidget(make_label(tr("Steps"), "heading", this));
  head->addStretch();
  count_ = make_label({}, "quiet", this);
  count_->setObjectName(QStringLiteral("stepsCount"));
  head->addWidget(count_);
  column->addLayout(head);
  model_ = new StepsModel(desk_, this);
  list_ = new StepsList(this);
  list_->setObjectName(QStringLiteral("stepsLedger"));
  list_->setAccessibleName(tr("Steps and their parts"));
  list_->setModel(model_);
  list_->setItemDelegate(new StepPainter(*model_, list_));
  list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list_->setMouseTracking(true);
  column->addWidget(list_, 1);
  connect(&desk_, &MakeDesk::changed, this, &StepsLedger::followDesk);
  connect(list_->selectionModel(), &QItemSelectionModel::currentChanged, this, &StepsLedger::followList);
  connect(list_, &StepsList::ringClicked, this, &StepsLedger::tick);
  connect(list_, &StepsList::left, this, [this] { desk_.hover(std::nullopt); });
  connect(list_, &QListView::entered, this, [this](const QModelIndex& at) { desk_.hover(model_->row(at.row()).laid); });
}

void StepsLedger::followDesk() {
  if (following_) return;
  following_ = true;
  model_->update();
  std::size_t done = 0, all = 0;
  for (std::size_t s = 0; s < desk_.steps().size(); ++s) done += desk_.inPlaceOf(s), all += desk_.copiesOf(s).size();
  count_->setText(tr("%1 of %2 in place").arg(done).arg(all));
  for (int i = 0; i < model_->rowCount(); ++i) {
    if (model_->row(i).laid && model_->row(i).laid == desk_.wanted() && list_->currentIndex().row() != i) {
      list_->setCurrentIndex(model_->index(i));
      list_->scrollTo(model_->index(i));
    }
  }
  list_->viewport()->update();
  following_ = false;
}

void StepsLedger::followList() {
  if (following_ || !list_->currentIndex().isValid()) return;
  const auto& row = model_->row(list_->currentIndex().row());
  following_ = true;
  row.laid ? desk_.lookFor(*row.laid) : desk_.goTo(row.step);
  following_ = false;
  list_->viewport()->update();
}

void StepsLedger::tick(int row) {
  const StepsModel::Row of = model_->row(row);
  if (of.laid) return desk_.setInPlace({*of.laid}, !desk_.isInPlace(*of.laid));
  desk_.setInPlace(desk_.copiesOf(of.step), !model_->ticked(of));
}

}  // namespace dotlane
