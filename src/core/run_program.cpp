#include "core/run_program.hpp"

#include <fcntl.h>
#include <signal.h>
#include <spawn.h>
#include <sys/wait.h>

#include <chrono>
#include <thread>

extern char** environ;

namespace dotlane {

ProgramEnd run_program(const std::vector<std::string>& words, double most_seconds, const std::string& output,
                       const std::function<bool()>& stop) {
  std::vector<char*> arguments;
  for (const auto& word : words) arguments.push_back(const_cast<char*>(word.c_str()));
  arguments.push_back(nullptr);
  posix_spawn_file_actions_t files;
  posix_spawn_file_actions_init(&files);
  posix_spawn_file_actions_addopen(&files, 0, "/dev/null", O_RDONLY, 0);
  posix_spawn_file_actions_addopen(&files, 1, output.c_str(), O_WRONLY | O_CREAT, 0600);
  posix_spawn_file_actions_addopen(&files, 2, "/dev/null", O_WRONLY, 0);
  pid_t child = 0;
  const int trouble = posix_spawnp(&child, arguments.front(), &files, nullptr, arguments.data(), environ);
  posix_spawn_file_actions_destroy(&files);
  ProgramEnd end;
  if (trouble != 0) return end;
  end.found = true;
  using Clock = std::chrono::steady_clock;
  const auto until = Clock::now() + std::chrono::duration<double>(most_seconds);
  int status = 0;
  while (waitpid(child, &status, WNOHANG) == 0) {
    if (end.in_time && !end.stopped) {
      end.in_time = Clock::now() <= until;
      end.stopped = end.in_time && stop && stop();
      if (!end.in_time || end.stopped) kill(child, SIGKILL);
    }
    std::this_thread::sleep_for(std::chrono::milliseconds(2));
  }
  if (WIFEXITED(status)) end.code = WEXITSTATUS(status);
  return end;
}

}  // namespace dotlane
