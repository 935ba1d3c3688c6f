#include "app/sheets/pack_run.hpp"

#include <QPointer>

namespace dotlane {

PackRun::PackRun(Session& session, QObject* parent) : QObject(parent), session_(session) { pool_.setMaxThreadCount(1); }

PackRun::~PackRun() {
  quit_ = true;
  pool_.waitForDone();
}

void PackRun::start(const NestOptions& options, double seconds) {
  if (running()) return;
  stop_ = std::make_shared<std::atomic<bool>>(false);
  sheets_ = 0, density_ = 0;
  answers_.clear();
  emit changed();
  session_.whenDerived([self = QPointer<PackRun>(this), options, seconds] {
    if (self) self->begin(options, seconds);
  });
}

void PackRun::enough() {
  if (stop_) *stop_ = true;
}

void PackRun::begin(const NestOptions& options, double seconds) {
  pool_.start([this, stop = stop_, project = session_.project(), derived = session_.derivedHandle(), options, seconds] {
    Project next = project;
    QString problem;
    NestWatch watch;
    watch.enough = [stop] { return stop->load(); };
    watch.quit = [this] { return quit_.load(); };
    watch.tell = [this](std::size_t sheets, double density) {
      QMetaObject::invokeMethod(
          this,
          [this, sheets, density] {
            sheets_ = sheets, density_ = density;
            if (answers_.empty() || sheets < answers_.back().first || density > answers_.back().second + 0.002)
              answers_.emplace_back(sheets, density);
            emit changed();
          },
          Qt::QueuedConnection);
    };
    try {
      next = nest_all(project, derived->drawing, derived->layout, options, seconds, watch).project;
    } catch (const std::exception& e) {
      problem = QString::fromUtf8(e.what());
    }
    // The destructor waits for the pool, so `this` is alive here; the queued call goes with it.
    QMetaObject::invokeMethod(
        this, [this, project, next, problem] { finish(project, next, problem); }, Qt::QueuedConnection);
  });
}

void PackRun::finish(const Project& from, const Project& next, const QString& problem) {
  stop_.reset();
  if (!problem.isEmpty()) {
    emit session_.said(tr("The parts could not be packed: %1. Nothing was changed.").arg(problem), true);
  } else if (!(from == session_.project())) {
    emit session_.said(tr("The project was changed while it was packed. It is as you left it; pack it again."), true);
  } else {
    session_.commit(next, tr("Pack the parts"));
  }
  emit changed();
}

}  // namespace dotlane
