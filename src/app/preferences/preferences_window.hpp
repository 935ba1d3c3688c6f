// What a person prefers, and the keys of every action.
#pragma once

#include <QDialog>
#include <QKeySequenceEdit>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QStackedWidget>
#include <QTreeWidget>
#include <functional>

#include "app/actions.hpp"
#include "app/preferences/preferences.hpp"
#include "app/session.hpp"

namespace dotlane {

class PreferencesWindow : public QDialog {
  Q_OBJECT
 public:
  PreferencesWindow(Session& session, Actions& actions, QWidget* parent);

 signals:
  void changed();  ///< preferences, or keys

 private:
  QWidget* general();
  QWidget* keys();
  void change(const std::function<void(Preferences&)>& how);
  void fillKeys();
  void showKeys();
  /// Gives the chosen action these keys, unless another has them: then it says which, and offers to take them from it.
  void setKeys(const QKeySequence& sequence);
  void giveKeys(QAction* action, const std::optional<QString>& keys);
  [[nodiscard]] QAction* chosen() const;

  Session& session_;
  Actions& actions_;
  QStackedWidget* pages_;
  QTreeWidget* list_ = nullptr;
  QLineEdit* search_ = nullptr;
  QKeySequenceEdit* edit_ = nullptr;
  QLabel *clash_ = nullptr, *said_ = nullptr;
  QPushButton *take_ = nullptr, *own_ = nullptr, *none_ = nullptr;
};

}  // namespace dotlane
