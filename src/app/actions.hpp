// Everything the user can do, by id: each action has words, a shortcut and a place in the action list.
#pragma once

#include <QAction>
#include <QHash>
#include <QKeySequence>
#include <QWidget>
#include <functional>
#include <vector>

namespace dotlane {

class Actions : public QObject {
  Q_OBJECT
 public:
  explicit Actions(QWidget* window) : QObject(window), window_(window) {}

  /// Adds an action to the window. `id` is for code and tests; `text` is what people read and search for. With `only`,
  /// the shortcut works while that widget or a child of it has the focus.
  QAction* add(const QString& id, const QString& text, const QKeySequence& shortcut, std::function<void()> run,
               QWidget* only = nullptr);
  [[nodiscard]] QAction* find(const QString& id) const { return by_id_.value(id); }
  [[nodiscard]] const std::vector<QAction*>& all() const { return all_; }
  /// Another action that these keys would reach as well: it has them, or begins with them, or they with it, where both
  /// are listened to.
  [[nodiscard]] QAction* having(const QKeySequence& keys, const QAction* but) const;
  /// After preferences changed: the keys that were chosen, else the action's own.
  void refreshKeys();

 private:
  [[nodiscard]] QKeySequence keysOf(const QAction* action) const;

  QWidget* window_;
  QHash<QString, QAction*> by_id_;
  QHash<const QAction*, QKeySequence> own_keys_;
  QHash<const QAction*, QWidget*> only_;
  std::vector<QAction*> all_;
};

}  // namespace dotlane
