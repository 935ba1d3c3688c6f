#include "app/action_finder.hpp"

#include <QKeyEvent>
#include <QPainter>
#include <QScrollBar>
#include <QStyledItemDelegate>

#include "app/style.hpp"

namespace dotlane {
namespace {

constexpr int kKeys = Qt::UserRole + 1;
constexpr int kListWidth = 440;

/// The words at the left, the shortcut in a column of its own at the right.
class ActionDelegate : public QStyledItemDelegate {
 public:
  using QStyledItemDelegate::QStyledItemDelegate;
  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
    QStyleOptionViewItem row = option;
    initStyleOption(&row, index);
    const QString keys = index.data(kKeys).toString();
    const int room = row.fontMetrics.horizontalAdvance(keys) + 20;
    row.text = row.fontMetrics.elidedText(row.text, Qt::ElideRight, row.rect.width() - room - 16);
    row.widget->style()->drawControl(QStyle::CE_ItemViewItem, &row, p, row.widget);
    p->save();
    p->setFont(row.font);
    p->setPen(theme().quiet);
    p->drawText(row.rect.adjusted(0, 0, -10, 0), Qt::AlignRight | Qt::AlignVCenter, keys);
    p->restore();
  }
};

}  // namespace

ActionFinder::ActionFinder(const Actions& actions, QWidget* parent) : QLineEdit(parent), actions_(actions) {
  setObjectName(QStringLiteral("actionFinder"));
  setPlaceholderText(tr("Find an action"));
  setAccessibleName(tr("Find an action"));
  set_kind(this, "boxed");
  setMinimumWidth(130);
  setMaximumWidth(196);
  list_ = new QListWidget(parent->window());
  list_->setObjectName(QStringLiteral("actionList"));
  list_->setFocusPolicy(Qt::NoFocus);
  list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list_->setItemDelegate(new ActionDelegate(list_));
  list_->hide();
  connect(this, &QLineEdit::textEdited, this, &ActionFinder::refill);
  connect(list_, &QListWidget::itemClicked, this, &ActionFinder::runCurrent);
}

void ActionFinder::begin() {
  setFocus(Qt::ShortcutFocusReason);
  selectAll();
  refill();
}

void ActionFinder::refill() {
  list_->clear();
  const QStringList words = text().toLower().split(QLatin1Char(' '), Qt::SkipEmptyParts);
  for (QAction* action : actions_.all()) {
    QString name = action->text();
    const bool fits =
        std::all_of(words.begin(), words.end(), [&](const QString& w) { return name.toLower().contains(w); });
    if (!fits) continue;
    auto* item = new QListWidgetItem(list_);
    const QString keys = action->shortcut().toString(QKeySequence::NativeText);
    item->setText(name);
    item->setData(kKeys, keys);
    item->setData(Qt::UserRole, action->objectName());
    if (!action->isEnabled()) item->setForeground(theme().quiet);
  }
  if (list_->count() == 0) {
    auto* none = new QListWidgetItem(tr("No action has these words"), list_);
    none->setFlags(Qt::NoItemFlags);
  }
  list_->setCurrentRow(0);
  list_->setStyleSheet(
      QStringLiteral("QListWidget { background: %1; border: 1px solid %2; border-radius: 8px; padding: 4px; }"
                     "QListWidget::item { padding: 5px 8px; border-radius: 5px; }"
                     "QListWidget::item:selected { background: %3; color: %4; }")
          .arg(theme().panel.name(), theme().hairline.name(), theme().accent_soft.name(), theme().ink.name()));
  const QPoint below = mapTo(window(), QPoint(width() - kListWidth, height() + 6));
  list_->setGeometry(below.x(), below.y(), kListWidth, std::min(420, 34 * std::max(1, list_->count()) + 12));
  list_->raise();
  list_->show();
}

void ActionFinder::runCurrent() {
  const QListWidgetItem* item = list_->currentItem();
  QAction* action = item ? actions_.find(item->data(Qt::UserRole).toString()) : nullptr;
  list_->hide();
  clear();
  clearFocus();
  if (action && action->isEnabled()) action->trigger();
}

void ActionFinder::keyPressEvent(QKeyEvent* event) {
  const int row = list_->currentRow();
  switch (event->key()) {
    case Qt::Key_Down:
      if (!list_->isVisible()) refill();
      list_->setCurrentRow(std::min(row + 1, list_->count() - 1));
      break;
    case Qt::Key_Up:
      list_->setCurrentRow(std::max(row - 1, 0));
      break;
    case Qt::Key_Return:
    case Qt::Key_Enter:
      runCurrent();
      break;
    case Qt::Key_Escape:
      list_->hide();
      clear();
      clearFocus();
      break;
    default:
      QLineEdit::keyPressEvent(event);
  }
}

void ActionFinder::focusOutEvent(QFocusEvent* event) {
  list_->hide();
  QLineEdit::focusOutEvent(event);
}

void ActionFinder::paintEvent(QPaintEvent* event) {
  QLineEdit::paintEvent(event);
  if (!text().isEmpty() || hasFocus() || width() < maximumWidth()) return;  // both need the room
  QPainter p(this);
  p.setFont(ui_font(11));
  p.setPen(theme().quiet);
  p.drawText(rect().adjusted(0, 0, -12, 0), Qt::AlignRight | Qt::AlignVCenter,
             QKeySequence(Qt::CTRL | Qt::Key_Space).toString(QKeySequence::NativeText));
}

}  // namespace dotlane
