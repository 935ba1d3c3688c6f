#include "core/places.hpp"

#include <cstdlib>
#include <filesystem>
#include <sstream>
#include <vector>

namespace dotlane {
namespace {

namespace fs = std::filesystem;

std::string said(const char* variable, const std::string& standard) {
  const char* value = std::getenv(variable);
  return value && *value ? value : standard;
}

std::string users_data() { return said("XDG_DATA_HOME", said("HOME", ".") + "/.local/share"); }

std::string folder() { return users_data() + "/dot-lane/dot-lane"; }

std::vector<fs::path> data_folders() {
  std::vector<fs::path> out;
  std::error_code trouble;
  const fs::path program = fs::read_symlink("/proc/self/exe", trouble);
  if (!trouble) out.push_back(program.parent_path().parent_path() / "share");
  out.emplace_back(users_data());
  std::istringstream dirs(said("XDG_DATA_DIRS", "/usr/local/share:/usr/share"));
  for (std::string one; std::getline(dirs, one, ':');) {
    if (!one.empty()) out.emplace_back(one);
  }
  return out;
}

}  // namespace

std::string logbook_path() { return folder() + "/logbook.sqlite"; }

std::string project_index_path() { return folder() + "/projects.sqlite"; }

std::string logbook_copies() { return folder() + "/logbook-copies"; }

std::string shipped(const std::string& name) {
  const auto folders = data_folders();
  std::error_code trouble;
  for (const auto& data : folders) {
    if (fs::exists(data / "dot-lane" / name, trouble)) return (data / "dot-lane" / name).string();
  }
  return (folders.front() / "dot-lane" / name).string();
}

}  // namespace dotlane
