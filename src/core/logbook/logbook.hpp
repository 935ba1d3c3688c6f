// The logbook: one file of SQLite in the user's data folder. Two windows at once are safe; whatever ends in the middle
// of writing, a run is there whole or not at all.
#pragma once

#include <memory>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/logbook/logged_run.hpp"

namespace dotlane {

class Database;

/// Which runs; what is empty or unsaid is not asked for.
struct RunFilter {
  std::string stock{}, tool{}, project{};  ///< ids of stock and tool; the project's name
  std::optional<CameOut> came_out{};       ///< of any of its passes
  std::optional<Role> role{};
  bool rehearsed = true;  ///< those of the simulated cutter as well
  std::size_t most = 0;   ///< the newest so many; 0: all
};

/// What a list shows of a run.
struct RunGlance {
  std::int64_t id = 0;
  std::string begun, project;
  bool rehearsed = false, test_cut = false;
  Outcome outcome = Outcome::done;
  double planned_s = 0, real_s = 0;
  CameOut came_out = CameOut::unsaid;  ///< the worst of its passes
  std::string note;
  bool has_picture = false;
};

class Logbook {
 public:
  /// Opens the file, makes it where there is none, brings one of an older version up to date. A file of a newer version
  /// is refused. Errors of the kind `malformed`: it is damaged; see mend().
  [[nodiscard]] static Result<Logbook> open(const std::string& path);
  Logbook(Logbook&&) noexcept;
  Logbook& operator=(Logbook&&) noexcept;
  ~Logbook();

  /// Keeps a run, or what is known of it now when it was there before (by its job); what a person said of it stays.
  /// `project` is the project file as it was: kept once for all runs of the same. `picture` is a PNG. Returns its id.
  Result<std::int64_t> keep(const LoggedRun& run, std::string_view project, std::string_view picture = {});
  /// Newest first.
  [[nodiscard]] Result<std::vector<RunGlance>> glances(const RunFilter& filter = {}) const;
  [[nodiscard]] Result<std::vector<LoggedRun>> runs(const RunFilter& filter = {}) const;
  [[nodiscard]] Result<LoggedRun> run(std::int64_t id) const;
  [[nodiscard]] Result<std::string> project_of(std::int64_t id) const;  ///< the file as it was
  [[nodiscard]] Result<std::string> picture_of(std::int64_t id) const;  ///< PNG; empty: none
  [[nodiscard]] Result<std::int64_t> count() const;
  /// What there is to filter by: ids with the name that was last used, by name; projects by name.
  struct Known {
    std::vector<std::pair<std::string, std::string>> stocks, tools;
    std::vector<std::string> projects;
  };
  [[nodiscard]] Result<Known> known() const;

  Result<void> say(std::int64_t run, int pass, CameOut out);
  Result<void> say(std::int64_t run, Weeding weeding);
  Result<void> note(std::int64_t run, std::string_view note);
  Result<void> add_photo(std::int64_t run, std::string_view file);
  /// From this moment on the tool is a new one.
  Result<void> changed(std::string_view tool, std::string_view when);
  /// Metres that a tool has marked since it was new, by what really ran.
  [[nodiscard]] Result<double> metres_of(std::string_view tool) const;

  /// Whether the file is sound: an empty text, or what SQLite finds.
  [[nodiscard]] Result<std::string> check() const;
  /// A copy of today in the folder, unless there is one; copies older than so many days go.
  Result<void> back_up(const std::string& folder, const std::string& today, int keep_days = 30) const;
  [[nodiscard]] const std::string& path() const;

 private:
  explicit Logbook(std::unique_ptr<Database> database);
  std::unique_ptr<Database> database_;
};

/// Pictures are kept of the newest so many runs: some 12 KB each.
inline constexpr int kPicturesKept = 3000;

/// The version of the file that this program writes; the steps by which older ones become it.
[[nodiscard]] int logbook_version();
/// A file as an older version made it, for tests of the way up. `version` is 1 to logbook_version().
Result<void> make_old_logbook(const std::string& path, int version);

/// Sets a damaged file aside, under a name with the date, and puts the newest sound copy of the folder in its place.
/// Returns where the damaged one is now, and which copy took its place; that is empty where there was none.
struct Mended {
  std::string aside, from;
};
[[nodiscard]] Result<Mended> mend_logbook(const std::string& path, const std::string& backups, const std::string& when);

}  // namespace dotlane
