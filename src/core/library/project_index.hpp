// All one's projects: what is in them, to be searched without opening them. One file of SQLite that can be made anew
// from the projects at any time; with it goes only which of them are known that lie outside the folders looked through.
#pragma once

#include <cstdint>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/library/glance.hpp"
#include "core/library/query.hpp"

namespace dotlane {

class Database;

/// By which a file is told from what it was: when it was written, and how long it is.
struct FileStamp {
  std::int64_t written = 0;  ///< nanoseconds since 1970
  std::int64_t bytes = -1;   ///< below 0: there is no such file
  [[nodiscard]] bool exists() const { return bytes >= 0; }
  friend bool operator==(const FileStamp&, const FileStamp&) = default;
};
[[nodiscard]] FileStamp stamp_of(const std::string& path);

struct FoundProject {
  std::string path;
  FileStamp stamp;
  ProjectGlance glance;
  std::vector<std::string> stocks;  ///< of its pieces, for people, each once
  std::vector<int> hits;            ///< pieces that meet most of what was asked for, the best first
  std::optional<Said> trouble;      ///< why it cannot be read, where it cannot
};

class ProjectIndex {
 public:
  /// Opens the file, or makes it, with its folder. A damaged one, or one of another version, is made anew, empty.
  [[nodiscard]] static Result<ProjectIndex> open(const std::string& path);
  ProjectIndex(ProjectIndex&&) noexcept;
  ProjectIndex& operator=(ProjectIndex&&) noexcept;
  ~ProjectIndex();

  /// Whether the file was taken in as it is now.
  [[nodiscard]] Result<bool> knows(const std::string& path, const FileStamp& stamp) const;
  /// Takes it in, in the place of what was known of it. `picture` is a PNG.
  Result<void> take_in(const std::string& path, const FileStamp& stamp, const ProjectGlance& glance,
                       std::string_view picture = {});
  /// It is there, but cannot be read; why.
  Result<void> take_in_unread(const std::string& path, const FileStamp& stamp, const Said& why);
  /// There is such a file; what is in it will be read when it is next brought up to date.
  Result<void> note(const std::string& path);
  Result<void> forget(const std::string& path);
  [[nodiscard]] Result<std::vector<std::string>> paths() const;
  /// Those that meet all of it: where something was asked for the best first, else those written last. Files that are
  /// not there now are left out.
  [[nodiscard]] Result<std::vector<FoundProject>> find(const ProjectQuery& query) const;
  [[nodiscard]] Result<std::string> picture_of(const std::string& path) const;  ///< PNG; empty: none

 private:
  explicit ProjectIndex(std::unique_ptr<Database> database);
  std::unique_ptr<Database> database_;
};

}  // namespace dotlane
