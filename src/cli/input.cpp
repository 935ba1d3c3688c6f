#include "cli/input.hpp"

#include <unistd.h>

#include <QDir>
#include <cerrno>
#include <cstdio>
#include <cstring>
#include <filesystem>

#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/text_scan.hpp"
#include "render/theme.hpp"

namespace dotlane::cli {

namespace {

[[noreturn]] void output_failed() {
  throw Stop{{ErrorKind::unreadable, {"file-not-written", {{"why", std::strerror(errno)}}}, "standard output"}};
}

}  // namespace

void print(const std::string& text) {
  if (std::fwrite(text.data(), 1, text.size(), stdout) != text.size()) output_failed();
}
void finish_output() {
  if (std::fflush(stdout) != 0 || std::ferror(stdout)) output_failed();
}
void print_json(const Json& json) { print(json.dump(2, ' ', false, Json::error_handler_t::replace) + "\n"); }

bool ends_with(const std::string& path, const char* ending) { return lower_case(path).ends_with(ending); }

/// A QGuiApplication for what needs fonts, pictures or an event loop. With no display, it draws off screen.
std::unique_ptr<QGuiApplication> application() {
  static int argc = 1;
  static char name[] = "dot-lane-cli";
  static char* argv[] = {name, nullptr};
  if (!qEnvironmentVariableIsSet("QT_QPA_PLATFORM")) qputenv("QT_QPA_PLATFORM", "offscreen");
  if (!qEnvironmentVariableIsSet("XDG_RUNTIME_DIR")) {  // else Qt makes one as well, and says so on stderr
    const QString own = QDir::tempPath() + QStringLiteral("/dot-lane-%1").arg(getuid());
    QDir().mkpath(own);
    QFile::setPermissions(own, QFile::ReadOwner | QFile::WriteOwner | QFile::ExeOwner);
    qputenv("XDG_RUNTIME_DIR", own.toLocal8Bit());
  }
  auto app = std::make_unique<QGuiApplication>(argc, argv);
  load_fonts();
  return app;
}

Input load(const std::string& path, double per_inch, int page) {
  if (ends_with(path, ".dotlane")) return {need(load_project(path)), std::nullopt};
  ReadOptions options;
  options.assumed_per_inch = per_inch;
  options.page = page;
  const std::string bytes = need(read_file(path, options.max_bytes));
  Artwork art = need(read_artwork(bytes, path, options));
  Project project = new_project(std::filesystem::path(path).stem().string());
  project = add_artwork(std::move(project), art, path);
  return {std::move(project), std::move(art)};
}

}  // namespace dotlane::cli
