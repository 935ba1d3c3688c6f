// Runs the window tests in one QApplication.
#define CATCH_CONFIG_RUNNER
#include <QApplication>
#include <QStandardPaths>
#include <catch2/catch.hpp>

#include "app/application.hpp"
#include "app/style.hpp"

int main(int argc, char** argv) {
  // Listing tests, as the build does to find them, wants no application.
  for (int i = 1; i < argc; ++i) {
    if (std::string_view(argv[i]).starts_with("--list")) return Catch::Session().run(argc, argv);
  }
  QStandardPaths::setTestModeEnabled(true);
  dotlane::Application app(argc, argv);
  QApplication::setApplicationName(QStringLiteral("dot-lane-tests"));
  QApplication::setOrganizationName(QStringLiteral("dot-lane-tests"));
  dotlane::use_theme(false);
  return Catch::Session().run(argc, argv);
}
