// Runs the window tests in one QApplication. Called with DOTLANE_EDIT_AND_DIE set, it is a user who edits that project
// and whose machine then stops at once.
#define CATCH_CONFIG_RUNNER
#include <QApplication>
#include <QElapsedTimer>
#include <QStandardPaths>
#include <catch2/catch.hpp>
#include <csignal>

#include "app/application.hpp"
#include "app/main_window.hpp"
#include "app/style.hpp"

namespace {

int edit_and_die(const QString& path) {
  dotlane::MainWindow window;
  window.show();
  window.take({path});
  window.session().settle();
  window.session().select({{window.session().project().pieces.front()->id, ""}});
  for (int i = 0; i < 3; ++i) window.bench().nudge(10, 0);
  QElapsedTimer clock;
  clock.start();
  while (!window.session().autosaved() && clock.elapsed() < 20'000)
    QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
  std::raise(SIGKILL);
  return 1;
}

}  // namespace

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
  const QString edit = qEnvironmentVariable("DOTLANE_EDIT_AND_DIE");
  if (!edit.isEmpty()) return edit_and_die(edit);
  return Catch::Session().run(argc, argv);
}
