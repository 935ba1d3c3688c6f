// Waiting for what comes by events.
#pragma once

#include <QCoreApplication>
#include <QElapsedTimer>
#include <catch2/catch.hpp>
#include <functional>

namespace dotlane::test {

inline void wait_for(const std::function<bool()>& done, int ms = 30'000) {
  QElapsedTimer clock;
  clock.start();
  while (!done()) {
    if (clock.elapsed() > ms) FAIL("waited too long");
    QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
  }
}

}  // namespace dotlane::test
