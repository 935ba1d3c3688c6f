#include "core/format/files.hpp"

#include <fcntl.h>
#include <sys/stat.h>
#include <unistd.h>

#include <cerrno>
#include <cstring>
#include <filesystem>
#include <fstream>

#include "core/format/project_json.hpp"

namespace dotlane {
namespace {

tl::unexpected<Error> system_error(const char* what, const std::string& path) {
  return fail(ErrorKind::unreadable, {what, {{"why", std::strerror(errno)}}}, path);
}

void sync_folder(const std::filesystem::path& folder) {
  const int fd = ::open(folder.empty() ? "." : folder.c_str(), O_RDONLY | O_DIRECTORY | O_CLOEXEC);
  if (fd < 0) return;
  ::fsync(fd);
  ::close(fd);
}

}  // namespace

Result<std::string> read_file(const std::string& path, std::size_t max_bytes) {
  std::error_code status;
  if (std::filesystem::is_directory(path, status)) return fail(ErrorKind::unreadable, {"file-is-folder"}, path);
  std::ifstream in(path, std::ios::binary);
  if (!in) return system_error("file-not-opened", path);
  std::string bytes;
  char chunk[1 << 16];
  while (in.read(chunk, sizeof chunk), in.gcount() > 0) {
    bytes.append(chunk, static_cast<std::size_t>(in.gcount()));
    if (bytes.size() > max_bytes) {
      return fail(ErrorKind::unsupported, {"file-too-large", {{"mb", figure(max_bytes >> 20)}}}, path);
    }
  }
  if (in.bad()) return system_error("file-not-read", path);
  return bytes;
}

Result<void> write_file(const std::string& path, std::string_view bytes) {
  // Through a link, the file it leads to is the one to replace.
  std::error_code status;
  const auto real = std::filesystem::weakly_canonical(path, status);
  const std::string target = status ? path : real.string();
  // A file that somebody protected is not replaced behind their back, though the folder would let it.
  if (::access(target.c_str(), F_OK) == 0 && ::access(target.c_str(), W_OK) != 0)
    return system_error("file-not-written", path);
  std::string temporary = target + ".XXXXXX";
  const int fd = ::mkstemp(temporary.data());
  if (fd < 0) return system_error("file-not-written-here", path);
  struct stat old {};
  const mode_t mode = ::stat(target.c_str(), &old) == 0 ? old.st_mode & 0777 : 0644;
  auto give_up = [&](const char* what) {
    const auto error = system_error(what, path);
    ::close(fd);
    ::unlink(temporary.c_str());
    return error;
  };
  for (std::size_t done = 0; done < bytes.size();) {
    const auto n = ::write(fd, bytes.data() + done, bytes.size() - done);
    if (n < 0 && errno == EINTR) continue;
    if (n <= 0) return give_up("file-not-written");
    done += static_cast<std::size_t>(n);
  }
  if (::fchmod(fd, mode) != 0 || ::fsync(fd) != 0) return give_up("file-not-written");
  if (::rename(temporary.c_str(), target.c_str()) != 0) return give_up("file-not-replaced");
  ::close(fd);
  sync_folder(std::filesystem::path(target).parent_path());
  return {};
}

Result<Project> load_project(const std::string& path) {
  auto bytes = read_file(path);
  if (!bytes) return tl::unexpected<Error>(bytes.error());
  return project_from_json(*bytes, path);
}

Result<void> save_project(const Project& project, const std::string& path) {
  return write_file(path, to_json(project));
}

std::string autosave_path(const std::string& project_path) {
  const std::filesystem::path path(project_path);
  return (path.parent_path() / ("." + path.filename().string() + ".autosave")).string();
}

}  // namespace dotlane
