// A folder of its own for a test, gone with it.
#pragma once

#include <unistd.h>

#include <filesystem>
#include <string>

namespace dotlane::test {

struct Scratch {
  std::filesystem::path path;
  Scratch() {
    static int n = 0;
    path = std::filesystem::temp_directory_path() /
           ("dot-lane-scratch-" + std::to_string(::getpid()) + "-" + std::to_string(++n));
    std::filesystem::create_directories(path);
  }
  Scratch(const Scratch&) = delete;
  Scratch& operator=(const Scratch&) = delete;
  ~Scratch() {
    std::error_code ignored;
    std::filesystem::remove_all(path, ignored);
  }
  [[nodiscard]] std::string file(const std::string& name) const { return (path / name).string(); }
};

}  // namespace dotlane::test
