// What the tape says about a single line: its length, what it encloses, where it is thinnest.
#pragma once

#include <QLabel>

#include "app/session.hpp"

namespace dotlane {

/// Worked out aside; a line that is on its way is told when it is there.
class LineFigureLabel : public QLabel {
  Q_OBJECT
 public:
  LineFigureLabel(Session& session, QWidget* parent);
  /// Shows the figures of this line, nothing for one without an id.
  void show(const LineRef& line);

 private:
  Session& session_;
  std::shared_ptr<const DrawnPiece> of_;
  std::string line_;
  LengthUnit unit_ = LengthUnit::mm;
  int parts_ = 0;  // of an inch
  int asked_ = 0;
};

}  // namespace dotlane
