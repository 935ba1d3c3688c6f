// dot-lane-simcutter: the simulated cutter as a program of its own. See device/wire.hpp for what it understands.
#include <QCommandLineParser>
#include <QCoreApplication>
#include <cstdio>

#include "device/sim_server.hpp"
#include "locale/language.hpp"
#include "words/sentences.hpp"

int main(int argc, char** argv) {
  QCoreApplication app(argc, argv);
  QCoreApplication::setApplicationName(QStringLiteral("dot-lane-simcutter"));
  dotlane::use_language();
  QCommandLineParser options;
  options.setApplicationDescription(
      QCoreApplication::translate("simcutter", "A simulated two-axis cutter that listens on a local socket."));
  options.addHelpOption();
  const QCommandLineOption socket(
      QStringLiteral("socket"), QCoreApplication::translate("simcutter", "Name of the local socket to listen on."),
      QCoreApplication::translate("simcutter", "name"), QStringLiteral("dot-lane-simcutter"));
  const QCommandLineOption once(QStringLiteral("once"),
                                QCoreApplication::translate("simcutter", "End when the first client has gone."));
  const QCommandLineOption mat(
      QStringLiteral("mat"),
      QCoreApplication::translate("simcutter", "File that keeps what is on the mat, and how far the job is."),
      QCoreApplication::translate("simcutter", "file"));
  options.addOptions({socket, once, mat});
  options.process(app);

  dotlane::SimServer server;
  if (options.isSet(mat)) {
    if (const auto opened = server.remember(options.value(mat).toStdString()); !opened) {
      std::fprintf(stderr, "dot-lane-simcutter: %s\n", line_of(opened.error()).c_str());
      return 2;
    }
  }
  if (!server.listen(options.value(socket))) {
    std::fprintf(stderr, "dot-lane-simcutter: %s\n",
                 qUtf8Printable(QCoreApplication::translate("simcutter", "cannot listen on %1: %2")
                                    .arg(options.value(socket), server.errorString())));
    return 2;
  }
  if (options.isSet(once)) QObject::connect(&server, &dotlane::SimServer::clientGone, &app, &QCoreApplication::quit);
  std::printf("listening\n");
  std::fflush(stdout);
  return QCoreApplication::exec();
}
