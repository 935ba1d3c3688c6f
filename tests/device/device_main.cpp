// Runs the tests of the cutter's wire: events, and no window.
#include <QCoreApplication>

#include "runner.hpp"

int main(int argc, char** argv) {
  QCoreApplication app(argc, argv);
  return run_tests(argc, argv);
}
