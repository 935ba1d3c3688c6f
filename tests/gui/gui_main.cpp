// Runs the window tests in one QApplication.
#include <QTemporaryDir>
#include <string_view>

#include "app/application.hpp"
#include "app/style.hpp"
#include "runner.hpp"

int main(int argc, char** argv) {
  // Listing tests, as the build does to find them, wants no application.
  for (int i = 1; i < argc; ++i) {
    if (std::string_view(argv[i]).starts_with("--list")) return run_tests(argc, argv);
  }
  // Settings and unsaved work of this process alone: several run at a time.
  const QTemporaryDir own;
  qputenv("XDG_CONFIG_HOME", own.path().toLocal8Bit());
  qputenv("XDG_DATA_HOME", own.path().toLocal8Bit());
  dotlane::Application app(argc, argv);
  QApplication::setApplicationName(QStringLiteral("dot-lane-tests"));
  QApplication::setOrganizationName(QStringLiteral("dot-lane-tests"));
  dotlane::use_theme(false);
  return run_tests(argc, argv);
}
