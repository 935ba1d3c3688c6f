#include "app/actions.hpp"

#include <QWidget>

#include "app/preferences/preferences.hpp"

namespace dotlane {

QAction* Actions::add(const QString& id, const QString& text, const QKeySequence& shortcut, std::function<void()> run,
                      QWidget* only) {
  auto* action = new QAction(text, this);
  action->setObjectName(id);
  own_keys_.insert(action, shortcut);
  action->setShortcut(keysOf(action));
  only_.insert(action, only);
  action->setShortcutContext(only ? Qt::WidgetWithChildrenShortcut : Qt::WindowShortcut);
  connect(action, &QAction::triggered, this, [run = std::move(run)] { run(); });
  (only ? only : window_)->addAction(action);
  by_id_.insert(id, action);
  all_.push_back(action);
  return action;
}

QAction* Actions::having(const QKeySequence& keys, const QAction* but) const {
  if (keys.isEmpty()) return nullptr;
  for (QAction* action : all_) {
    if (action == but || action->shortcut().isEmpty()) continue;
    QWidget *one = only_.value(action), *other = only_.value(but);
    const bool both = !one || !other || one == other || one->isAncestorOf(other) || other->isAncestorOf(one);
    if (both && (action->shortcut().matches(keys) != QKeySequence::NoMatch ||
                 keys.matches(action->shortcut()) != QKeySequence::NoMatch))
      return action;
  }
  return nullptr;
}

void Actions::refreshKeys() {
  for (QAction* action : all_) action->setShortcut(keysOf(action));
}

QKeySequence Actions::keysOf(const QAction* action) const {
  const auto preferred = preferred_keys(action->objectName());
  return preferred ? QKeySequence(*preferred, QKeySequence::PortableText) : own_keys_.value(action);
}

}  // namespace dotlane
