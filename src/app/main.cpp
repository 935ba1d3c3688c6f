// dot-lane: the application.
#include <QCommandLineParser>
#include <QSettings>

#include "app/application.hpp"
#include "app/main_window.hpp"
#include "app/style.hpp"

int main(int argc, char** argv) {
  dotlane::Application app(argc, argv);
  QApplication::setApplicationName(QStringLiteral("dot-lane"));
  QApplication::setOrganizationName(QStringLiteral("dot-lane"));
  QApplication::setApplicationDisplayName(QStringLiteral("Dot Lane"));
  QApplication::setApplicationVersion(QStringLiteral("0.1.0"));
  QCommandLineParser options;
  options.setApplicationDescription(
      QApplication::translate("main", "Plans and rehearses multi-tool jobs for a small craft cutter."));
  options.addHelpOption();
  options.addVersionOption();
  options.addPositionalArgument(QStringLiteral("files"),
                                QApplication::translate("main", "A project to open, or drawings to bring in."),
                                QStringLiteral("[files...]"));
  options.process(app);
  dotlane::use_theme(QSettings().value(QStringLiteral("dark"), false).toBool());
  dotlane::MainWindow window;
  window.show();
  if (options.positionalArguments().isEmpty()) {
    window.offerRecovery();
  } else {
    window.take(options.positionalArguments());
  }
  return QApplication::exec();
}
