#include "app/aside.hpp"

#include <QCoreApplication>

namespace dotlane {

Aside::Aside(QObject* owner) : QObject(owner) { pool_.setMaxThreadCount(1); }

Aside::~Aside() { pool_.waitForDone(); }

void Aside::run(std::function<std::function<void()>()> work) {
  ++working_;
  pool_.start([self = QPointer<Aside>(this), work = std::move(work)]() mutable {
    std::function<void()> then;
    try {
      then = work();
    } catch (const std::exception& e) {
      then = [self, what = QString::fromUtf8(e.what())] {
        if (self) emit self->failed(what);
      };
    }
    work = {};  // what it holds goes aside as well
    QMetaObject::invokeMethod(
        QCoreApplication::instance(),
        [self, then] {
          if (!self) return;
          --self->working_;
          if (then) then();
        },
        Qt::QueuedConnection);
  });
}

void Aside::settle() {
  while (busy()) QCoreApplication::processEvents(QEventLoop::AllEvents | QEventLoop::WaitForMoreEvents, 20);
}

}  // namespace dotlane
