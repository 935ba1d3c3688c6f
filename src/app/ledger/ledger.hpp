// The ledger: pieces as cards under their stock, in layer order.
#pragma once

#include <QLineEdit>
#include <QPushButton>
#include <QTreeView>
#include <QWidget>

#include "app/actions.hpp"
#include "app/ledger/ledger_model.hpp"
#include "app/ledger/ledger_tree.hpp"

namespace dotlane {

class Ledger : public QWidget {
  Q_OBJECT
 public:
  Ledger(Session& session, QWidget* parent);
  /// Buttons for these actions stand below the list.
  void addButtons(const Actions& actions);
  [[nodiscard]] QTreeView* tree() const { return tree_; }
  /// The field that narrows the list down.
  [[nodiscard]] QLineEdit* finder() const { return find_; }
  /// Writes over the name of the selected piece.
  void rename();

 private:
  QItemSelection mark();
  void followSession();
  void followTree();

  Session& session_;
  LedgerModel* model_;
  QTreeView* tree_;
  QLineEdit* find_;
  bool following_ = false;
};

}  // namespace dotlane
