// Runs the window tests in one QApplication.
#include <execinfo.h>
#include <signal.h>
#include <unistd.h>

#include <QTemporaryDir>
#include <string_view>

#include "app/application.hpp"
#include "app/style.hpp"
#include "runner.hpp"

namespace {

/// Where it ended, for whoever reads the log of a machine that is gone: Catch says in which test.
void tell_where(int signal) {
  void* frames[60];
  backtrace_symbols_fd(frames, backtrace(frames, 60), STDERR_FILENO);
  ::signal(signal, SIG_DFL);
  raise(signal);
}

/// What the offscreen platform cannot do is no news.
void say(QtMsgType, const QMessageLogContext&, const QString& text) {
  if (!text.startsWith(QStringLiteral("This plugin does not support"))) fprintf(stderr, "%s\n", qPrintable(text));
}

}  // namespace

int main(int argc, char** argv) {
  // Listing tests, as the build does to find them, wants no application.
  for (int i = 1; i < argc; ++i) {
    if (std::string_view(argv[i]).starts_with("--list")) return run_tests(argc, argv);
  }
  // Settings and unsaved work of this process alone: several run at a time.
  qInstallMessageHandler(say);
  static char stack[1 << 16];  // the other one may be full
  const stack_t spare{stack, 0, sizeof stack};
  sigaltstack(&spare, nullptr);
  struct sigaction told {};
  told.sa_handler = tell_where, told.sa_flags = SA_ONSTACK;
  for (const int signal : {SIGSEGV, SIGBUS, SIGABRT, SIGFPE}) sigaction(signal, &told, nullptr);
  const QTemporaryDir own;
  qputenv("XDG_CONFIG_HOME", own.path().toLocal8Bit());
  qputenv("XDG_DATA_HOME", own.path().toLocal8Bit());
  dotlane::Application app(argc, argv);
  QApplication::setApplicationName(QStringLiteral("dot-lane-tests"));
  QApplication::setOrganizationName(QStringLiteral("dot-lane-tests"));
  dotlane::use_theme(false);
  return run_tests(argc, argv);
}
