#include "core/library/look_through.hpp"

#include <algorithm>
#include <filesystem>

#include "core/format/files.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {

namespace fs = std::filesystem;

std::vector<std::string> projects_below(const std::string& folder, const std::function<bool()>& stop) {
  std::vector<std::string> out;
  std::error_code error;
  fs::recursive_directory_iterator at(folder, fs::directory_options::skip_permission_denied, error);
  while (!error && at != fs::recursive_directory_iterator()) {
    if (stop && stop()) break;
    const std::string name = at->path().filename().string();
    std::error_code unknown;
    if (at->is_directory(unknown) && name.starts_with('.')) at.disable_recursion_pending();
    if (at->path().extension() == ".dotlane" && !name.starts_with('.') && at->is_regular_file(unknown))
      out.push_back(at->path().lexically_normal().string());
    at.increment(error);
  }
  std::sort(out.begin(), out.end());
  return out;
}

Result<Looked> bring_up_to_date(ProjectIndex& index, const std::vector<std::string>& files, const DrawPicture& picture,
                                const std::function<bool()>& stop) {
  Looked out;
  auto known = index.paths();
  if (!known) return tl::unexpected<Error>(known.error());
  std::vector<std::string> all = files;
  all.insert(all.end(), known->begin(), known->end());
  std::sort(all.begin(), all.end());
  all.erase(std::unique(all.begin(), all.end()), all.end());
  for (const auto& path : all) {
    if (stop && stop()) break;
    const FileStamp stamp = stamp_of(path);
    if (!stamp.exists()) {
      std::error_code error;
      if (!fs::is_directory(fs::path(path).parent_path(), error)) continue;
      if (const auto done = index.forget(path); !done) return tl::unexpected<Error>(done.error());
      ++out.forgotten;
      continue;
    }
    const auto knows = index.knows(path, stamp);
    if (!knows) return tl::unexpected<Error>(knows.error());
    if (*knows) continue;
    const auto project = load_project(path);
    Result<void> done;
    if (project) {
      DrawingCache cache;
      const Drawing drawing = evaluate(*project, cache);
      done = index.take_in(path, stamp, glance_at(*project, drawing), picture ? picture(*project, drawing) : "");
      ++out.read;
    } else {
      done = index.take_in_unread(path, stamp, project.error().said);
      ++out.unread;
    }
    if (!done) return tl::unexpected<Error>(done.error());
  }
  return out;
}

}  // namespace dotlane
