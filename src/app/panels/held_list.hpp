// How the selected piece is held, with the distances and what lets go.
#pragma once

#include <QLabel>
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
  /// A row with what is said about it, a distance where `edited` takes one, and what lets go.
  std::pair<QLabel*, NumberField*> addRow(const QString& id, const QString& field_name,
                                          std::function<void(double)> edited, std::function<void()> let_go);

  Session& session_;
  int piece_ = 0;
  std::vector<Hold> shown_;  // built for these, but for their distances
  std::optional<Fit> fit_;
  QLabel* fit_text_ = nullptr;
  NumberField* fit_field_ = nullptr;
  std::vector<QLabel*> texts_;
  std::vector<NumberField*> fields_;  // null where no distance belongs to it
  QVBoxLayout* rows_;
};

}  // namespace dotlane
