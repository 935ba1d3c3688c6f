#include "app/ledger/shape_popup.hpp"

#include <QKeyEvent>
#include <QListWidget>
#include <QPainter>
#include <QScreen>
#include <QVBoxLayout>

#include "app/actions.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/project/kinds.hpp"
#include "core/project/presets.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/paint.hpp"

namespace dotlane {
namespace {

constexpr int kAcross = 5;
constexpr QSize kPicture{56, 56}, kCell{118, 92};  // px

/// The shape as it is made new.
QIcon picture_of(const std::string& kind) {
  QPixmap picture(2 * kPicture);
  picture.setDevicePixelRatio(2);
  picture.fill(Qt::transparent);
  int id = 0;
  if (const auto project = add_shape(new_project({}), kind, {}, &id)) {
    DrawingCache cache;
    const Drawing drawing = evaluate(*project, cache);
    QPainter p(&picture);
    if (const DrawnPiece* drawn = find_drawn(drawing, id))
      paint_thumbnail(p, QRectF(QPointF(), kPicture), *project, *drawn, theme());
  }
  return QIcon(picture);
}

}  // namespace

ShapePopup::ShapePopup(const Actions& actions, QWidget* parent) : QFrame(parent, Qt::Popup), actions_(actions) {
  set_kind(this, "popup");
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(6, 6, 6, 6);
  list_ = new QListWidget(this);
  list_->setObjectName(QStringLiteral("shapeList"));
  list_->setAccessibleName(tr("Ready shapes"));
  list_->setViewMode(QListView::IconMode);
  list_->setMovement(QListView::Static);
  list_->setResizeMode(QListView::Adjust);
  list_->setIconSize(kPicture);
  list_->setGridSize(kCell);
  list_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  list_->setVerticalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  column->addWidget(list_);
  // Some desktops activate by a click: then both signals come.
  auto take = [this](const QListWidgetItem* item) {
    if (!isVisible()) return;
    hide();
    if (QAction* action = actions_.find(item->data(Qt::UserRole).toString())) action->trigger();
  };
  connect(list_, &QListWidget::itemClicked, this, take);
  connect(list_, &QListWidget::itemActivated, this, take);
}

void ShapePopup::fill() {
  if (list_->count() > 0 && dark_ == theme().dark) return;
  dark_ = theme().dark;
  list_->clear();
  for (const auto& kind : shape_kinds()) {
    const QString id = QStringLiteral("shape-") + qs(kind.kind);
    const QAction* action = actions_.find(id);
    if (!action) continue;
    auto* item = new QListWidgetItem(picture_of(kind.kind), worded(kind.label), list_);
    item->setData(Qt::UserRole, id);
    item->setToolTip(worded(kind.summary) + QStringLiteral("  ") +
                     action->shortcut().toString(QKeySequence::NativeText));
  }
  const int rows = (list_->count() + kAcross - 1) / kAcross;
  list_->setFixedSize(kAcross * kCell.width() + 4, rows * kCell.height() + 4);
  adjustSize();
}

void ShapePopup::openAbove(const QWidget* button) {
  fill();
  const QRect room = button->screen()->availableGeometry();
  QPoint at = button->mapToGlobal(QPoint(0, 0)) - QPoint(0, height() + 4);
  at.setX(std::clamp(at.x(), room.left(), std::max(room.left(), room.right() - width())));
  at.setY(std::max(at.y(), room.top()));
  move(at);
  show();
  list_->setFocus();
  if (!list_->currentItem()) list_->setCurrentRow(0);
}

void ShapePopup::keyPressEvent(QKeyEvent* event) {
  if (event->key() == Qt::Key_Escape) {
    hide();
  } else {
    QFrame::keyPressEvent(event);
  }
}

}  // namespace dotlane
