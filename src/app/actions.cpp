#include "app/actions.hpp"

#include <QWidget>

namespace dotlane {

QAction* Actions::add(const QString& id, const QString& text, const QKeySequence& shortcut, std::function<void()> run,
                      QWidget* only) {
  auto* action = new QAction(text, this);
  action->setObjectName(id);
  action->setShortcut(shortcut);
  action->setShortcutContext(only ? Qt::WidgetWithChildrenShortcut : Qt::WindowShortcut);
  connect(action, &QAction::triggered, this, [run = std::move(run)] { run(); });
  (only ? only : window_)->addAction(action);
  by_id_.insert(id, action);
  all_.push_back(action);
  return action;
}

}  // namespace dotlane
