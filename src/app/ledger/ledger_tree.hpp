// The ledger's list with its hands: eyes and locks are clicked, names written over, rows dragged to where they belong.
#pragma once

#include <QTreeView>

#include "app/session.hpp"

namespace dotlane {

/// Where the icons of a row are, in its rectangle.
[[nodiscard]] QRect eye_place(const QRect& row, int kind);
[[nodiscard]] QRect lock_place(const QRect& row, int kind);
/// Where the name of a piece or group stands.
[[nodiscard]] QRect name_place(const QRect& row, int kind);

class LedgerTree : public QTreeView {
  Q_OBJECT
 public:
  LedgerTree(Session& session, QWidget* parent);

 protected:
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void mouseDoubleClickEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void paintEvent(QPaintEvent* event) override;
  bool viewportEvent(QEvent* event) override;

 private:
  /// Where dragged pieces would come to lie.
  struct Drop {
    std::string stock, group;
    int above = 0;  // piece id; 0: below all of the stock
    int with = 0;   // piece that they make a group with
    QRect mark;     // to be shown: a line, or a row
  };
  [[nodiscard]] std::optional<Drop> dropAt(QPoint at) const;
  void drop(const Drop& to);
  /// Whether an icon was there, which has done its work.
  bool clickIcon(const QModelIndex& row, QPoint at);

  Session& session_;
  QPoint press_;
  std::vector<int> pressed_;  // pieces that a drag from there would take
  bool whole_ = false;        // these are a group, and stay one
  bool dragging_ = false;
  bool choose_later_ = false;  // the press was on what is selected: a click alone changes that
  std::optional<Drop> drop_;
};

}  // namespace dotlane
