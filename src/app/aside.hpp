// Work aside on a thread of its own, one thing after the other; what each returns runs in the window.
#pragma once

#include <QObject>
#include <QPointer>
#include <QThreadPool>
#include <functional>

namespace dotlane {

class Aside : public QObject {
  Q_OBJECT
 public:
  explicit Aside(QObject* owner);
  /// Waits for what is under way; what it returns is dropped.
  ~Aside() override;
  void run(std::function<std::function<void()>()> work);
  [[nodiscard]] bool busy() const { return working_ > 0; }
  /// Runs the event loop until all is done. For tests and pictures.
  void settle();

 signals:
  void failed(const QString& what);  ///< work threw

 private:
  QThreadPool pool_;
  int working_ = 0;
};

}  // namespace dotlane
