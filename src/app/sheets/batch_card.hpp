// A batch: what so many of everything take of the shelf, what has to be bought, what they cost.
#pragma once

#include <QGridLayout>
#include <QLabel>
#include <QPushButton>
#include <QWidget>
#include <atomic>
#include <memory>

#include "app/session.hpp"
#include "app/widgets/number_field.hpp"
#include "core/plan/batch.hpp"

namespace dotlane {

class BatchCard : public QWidget {
  Q_OBJECT
 public:
  BatchCard(Session& session, QWidget* parent);
  ~BatchCard() override;

 private:
  void workOut();
  void show(const Batch& batch);
  void clear();

  Session& session_;
  NumberField* copies_;
  QPushButton* button_;
  QLabel* text_;
  QGridLayout* table_;
  std::shared_ptr<std::atomic<bool>> stop_;  ///< while it is worked out: set, it is given up
  Project for_;                              // what is shown speaks of it
  bool shown_ = false;
};

}  // namespace dotlane
