#include "core/places.hpp"

#include <cstdlib>

namespace dotlane {
namespace {

std::string folder() {
  const char* data = std::getenv("XDG_DATA_HOME");
  const char* home = std::getenv("HOME");
  const std::string base = data && *data ? data : std::string(home ? home : ".") + "/.local/share";
  return base + "/dot-lane/dot-lane";
}

}  // namespace

std::string logbook_path() { return folder() + "/logbook.sqlite"; }

std::string project_index_path() { return folder() + "/projects.sqlite"; }

std::string logbook_copies() { return folder() + "/logbook-copies"; }

}  // namespace dotlane
