// dot-lane-simcutter: the simulated cutter as a program of its own. See device/wire.hpp for what it understands.
#include <QCommandLineParser>
#include <QCoreApplication>
#include <cstdio>

#include "device/sim_server.hpp"
#include "words/sentences.hpp"

int main(int argc, char** argv) {
  QCoreApplication app(argc, argv);
  QCoreApplication::setApplicationName(QStringLiteral("dot-lane-simcutter"));
  QCommandLineParser options;
  options.setApplicationDescription(QStringLiteral("A simulated two-axis cutter that listens on a local socket."));
  options.addHelpOption();
  const QCommandLineOption socket(QStringLiteral("socket"), QStringLiteral("Name of the local socket to listen on."),
                                  QStringLiteral("name"), QStringLiteral("dot-lane-simcutter"));
  const QCommandLineOption once(QStringLiteral("once"), QStringLiteral("End when the first client has gone."));
  const QCommandLineOption mat(QStringLiteral("mat"),
                               QStringLiteral("File that keeps what is on the mat, and how far the job is."),
                               QStringLiteral("file"));
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
    std::fprintf(stderr, "dot-lane-simcutter: cannot listen on %s: %s\n", qPrintable(options.value(socket)),
                 qPrintable(server.errorString()));
    return 2;
  }
  if (options.isSet(once)) QObject::connect(&server, &dotlane::SimServer::clientGone, &app, &QCoreApplication::quit);
  std::printf("listening\n");
  std::fflush(stdout);
  return QCoreApplication::exec();
}
