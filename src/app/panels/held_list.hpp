// How the selected piece is held, with the distances and what lets go.
#pragma once

#include <QVBoxLayout>

#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class HeldList : public QWidget {
  Q_OBJECT
 public:
  HeldList(Session& session, QWidget* parent);
  /// Shows the holds of this piece, nothing for 0.
  void show(int piece);

 private:
  void build();

  Session& session_;
  int piece_ = 0;
  std::vector<Hold> shown_;  // built for these, but for their distances
  std::vector<class QLabel*> texts_;
  std::vector<NumberField*> fields_;  // null where no distance belongs to it
  QVBoxLayout* rows_;
};

}  // namespace dotlane
