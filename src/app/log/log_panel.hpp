// Right of the Log stage: the run that is looked at, or two of them beside each other.
#pragma once

#include "app/log/log_desk.hpp"
#include "app/panels/panel.hpp"
#include "app/session.hpp"

namespace dotlane {

class LogPanel : public Panel {
  Q_OBJECT
 public:
  LogPanel(Session& session, LogDesk& desk, QWidget* parent);

 signals:
  /// The project as it was at that run is to be opened.
  void againAsked(const QString& text, const QString& name);

 private:
  void rebuild();
  void showRun(const LoggedRun& run);
  void showBoth(const LoggedRun& one, const LoggedRun& other);

  Session& session_;
  LogDesk& desk_;
  QVBoxLayout* contents_;
};

}  // namespace dotlane
