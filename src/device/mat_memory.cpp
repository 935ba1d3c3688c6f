#include "device/mat_memory.hpp"

#include <fcntl.h>
#include <sys/file.h>
#include <unistd.h>

#include <cerrno>
#include <chrono>
#include <cstring>
#include <fstream>
#include <thread>

#include "device/wire.hpp"

namespace dotlane {

MatMemory::~MatMemory() {
  if (file_ >= 0) ::close(file_);
}

Result<void> MatMemory::open(const std::string& path) {
  path_ = path;
  file_ = ::open(path.c_str(), O_RDWR | O_CREAT | O_APPEND | O_CLOEXEC, 0644);
  const auto bad = [&](const char* why) {
    if (file_ >= 0) ::close(file_), file_ = -1;
    return fail(ErrorKind::unreadable, {"system", {{"why", why}}}, path);
  };
  if (file_ < 0) return bad(std::strerror(errno));
  constexpr int kTries = 600;  // half a minute: another cutter may still be lifting its tool
  int tries = 0;
  while (::flock(file_, LOCK_EX | LOCK_NB) != 0) {
    if (++tries > kTries) return bad("another cutter has this mat");
    std::this_thread::sleep_for(std::chrono::milliseconds(50));
  }
  std::ifstream in(path);
  std::string line;
  std::size_t whole = 0;
  while (std::getline(in, line)) {
    if (in.eof()) break;  // cut off: it has not happened
    whole += line.size() + 1;
    const auto json = wire::Json::parse(line, nullptr, false);
    if (!json.is_object()) continue;
    last_ = {json.value("job", std::string()), json.value("part", 0), json.value("done", std::size_t{0}),
             json.value("run_mm", 0.0), json.value("seconds", 0.0)};
  }
  if (::ftruncate(file_, static_cast<off_t>(whole)) != 0) return bad(std::strerror(errno));
  return {};
}

Result<void> MatMemory::write(const std::string& line) {
  if (::write(file_, line.data(), line.size()) == static_cast<ssize_t>(line.size())) return {};
  return fail(ErrorKind::unreadable, {"system", {{"why", std::strerror(errno)}}}, path_);
}

Result<void> MatMemory::begin(const std::string& job, int part) {
  if (job != last_.job) {
    if (::ftruncate(file_, 0) != 0)
      return fail(ErrorKind::unreadable, {"system", {{"why", std::strerror(errno)}}}, path_);
    last_ = {};
  }
  return add({job, part, 0, 0, last_.seconds}, {});
}

Result<void> MatMemory::add(const DeviceMemory& now, const std::vector<Mark>& marks) {
  last_ = now;
  return write(wire::line_of({{"job", now.job},
                              {"part", now.part},
                              {"done", now.done},
                              {"run_mm", now.run_mm},
                              {"seconds", now.seconds},
                              {"marks", wire::from_marks(marks)}}));
}

void MatMemory::recall(const std::function<void(std::vector<Mark>)>& each) const {
  std::ifstream in(path_);
  std::string line;
  while (std::getline(in, line)) {
    const auto json = wire::Json::parse(line, nullptr, false);
    if (json.is_object() && json.contains("marks") && !json.at("marks").empty()) each(wire::to_marks(json.at("marks")));
  }
}

}  // namespace dotlane
