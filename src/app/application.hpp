// The application object: the boundary where a fault in the window's own code becomes a message.
#pragma once

#include <QApplication>

namespace dotlane {

class Application : public QApplication {
  Q_OBJECT
 public:
  using QApplication::QApplication;
  /// An exception that an event handler let go ends here; the program goes on, and with it the autosave. The wheel over
  /// a choice belongs to what the choice lies in.
  bool notify(QObject* receiver, QEvent* event) override;

 signals:
  void failed(const QString& what);
};

}  // namespace dotlane
