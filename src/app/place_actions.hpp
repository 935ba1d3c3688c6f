// Placing: what is met while dragging, guides, and pieces held where they are.
#pragma once

#include <QObject>

#include "app/actions.hpp"
#include "app/bench/bench.hpp"
#include "app/notice.hpp"
#include "app/session.hpp"

namespace dotlane {

class PlaceActions : public QObject {
  Q_OBJECT
 public:
  PlaceActions(Session& session, Actions& actions, Notice& notice, Bench& bench, QObject* parent);
  /// Which actions make sense for what is selected.
  void update();

 private:
  void snap(bool on, bool dots);
  void hold();
  void holdRow();
  void letGo();
  void fitInside();
  /// Takes the held project up, or says why it cannot be.
  void take(const Result<Project>& held, const QString& label);

  Session& session_;
  Actions& actions_;
  Notice& notice_;
  Bench& bench_;
};

/// How a piece is held, in words.
[[nodiscard]] QString held_text(const Project& project, const Hold& hold);

}  // namespace dotlane
