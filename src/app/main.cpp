// dot-lane: the application.
#include <QCommandLineParser>
#include <cstdio>

#include "app/application.hpp"
#include "app/main_window.hpp"
#include "app/preferences/preferences.hpp"
#include "app/shots.hpp"
#include "app/style.hpp"
#include "locale/language.hpp"
#include "words/sentences.hpp"

int main(int argc, char** argv) {
  dotlane::Application app(argc, argv);
  QApplication::setApplicationName(QStringLiteral("dot-lane"));
  QApplication::setOrganizationName(QStringLiteral("dot-lane"));
  QApplication::setApplicationDisplayName(QStringLiteral("Dot Lane"));
  QApplication::setApplicationVersion(QStringLiteral("0.1.0"));
  QApplication::setDesktopFileName(QStringLiteral("org.dotlane.DotLane"));
  QApplication::setWindowIcon(QIcon::fromTheme(QStringLiteral("dot-lane")));
  dotlane::use_language(dotlane::preferences().language);
  QCommandLineParser options;
  options.setApplicationDescription(
      QApplication::translate("main", "Plans and rehearses multi-tool jobs for a small craft cutter."));
  options.addHelpOption();
  options.addVersionOption();
  options.addPositionalArgument(QStringLiteral("files"),
                                QApplication::translate("main", "A project to open, or drawings to bring in."),
                                QStringLiteral("[files...]"));
  const QCommandLineOption pictures(QStringLiteral("pictures"),
                                    QApplication::translate("main", "Only write a picture of every main view here."),
                                    QApplication::translate("main", "folder"));
  options.addOption(pictures);
  options.process(app);
  if (options.isSet(pictures)) {
    for (const QString& project : options.positionalArguments()) {
      const auto files = dotlane::take_shots(project.toStdString(), options.value(pictures).toStdString());
      if (!files) {
        std::fprintf(stderr, "dot-lane: %s\n", line_of(files.error()).c_str());
        return 2;
      }
    }
    return 0;
  }
  dotlane::use_theme(dotlane::preferences().dark, dotlane::preferences().mat);
  dotlane::MainWindow window;
  window.show();
  if (options.positionalArguments().isEmpty()) {
    window.offerRecovery();
  } else {
    window.take(options.positionalArguments());
  }
  window.offerBrokenRun();
  if (options.positionalArguments().isEmpty()) window.help().offerTour();
  return QApplication::exec();
}
