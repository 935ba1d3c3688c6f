// The one application of the benchmarks that open windows.
#pragma once

#include <QApplication>

#include "app/style.hpp"

namespace dotlane {

inline QApplication& application() {
  static int argc = 1;
  static char name[] = "dotlane_bench";
  static char* argv[] = {name, nullptr};
  qputenv("QT_QPA_PLATFORM", "offscreen");
  static auto* app = new QApplication(argc, argv);  // never taken down: statics of Qt's own go before it would
  static const bool once = [] {
    QApplication::setApplicationName(QStringLiteral("dot-lane-bench"));
    use_theme(false);
    return true;
  }();
  (void)once;
  return *app;
}

}  // namespace dotlane
