// How something came out, as a sign and a word: told apart by shape first.
#pragma once

#include <QAbstractButton>
#include <QButtonGroup>
#include <QPainter>
#include <QString>
#include <QWidget>

#include "app/log/log_desk.hpp"

namespace dotlane {

[[nodiscard]] QString came_out_text(CameOut out);
/// Good: a full disc; too weak: a ring; too strong: a square; torn: a cross; skipped: a dash; unsaid: a faint dot.
void paint_came_out(QPainter& p, QPointF at, CameOut out, double radius);

/// "How did it come out?": a row for all passes and one for each, with buttons; weeding and a note.
class CameOutCard : public QWidget {
  Q_OBJECT
 public:
  CameOutCard(LogDesk& desk, const LoggedRun& run, QWidget* parent);

 private:
  /// What was said of a pass shows in the row of all, and the other way round.
  void showSaid(int pass, CameOut out);
  struct Row {
    int pass;
    CameOut out;
    QAbstractButton* button;
    QButtonGroup* group;
  };
  std::vector<Row> rows_;
};

}  // namespace dotlane
