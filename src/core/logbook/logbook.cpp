#include "core/logbook/logbook.hpp"

#include <zlib.h>

#include <algorithm>
#include <filesystem>
#include <utility>

#include "core/format/journal.hpp"
#include "core/sqlite.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

namespace fs = std::filesystem;

/// Each brings a file to the next version. None is ever changed; new ones are added below.
constexpr std::array kSteps{// 1: runs with their passes, pauses and sheets; projects once for all their runs
                            R"(
CREATE TABLE projects (key TEXT PRIMARY KEY, size INTEGER NOT NULL, packed BLOB NOT NULL) STRICT, WITHOUT ROWID;
CREATE TABLE runs (
  id INTEGER PRIMARY KEY, job TEXT NOT NULL UNIQUE, begun TEXT NOT NULL, project TEXT NOT NULL, file TEXT NOT NULL,
  project_key TEXT NOT NULL REFERENCES projects (key), machine TEXT NOT NULL, rehearsed INTEGER NOT NULL,
  outcome TEXT NOT NULL, parts INTEGER NOT NULL, planned_s REAL NOT NULL, real_s REAL NOT NULL,
  strokes INTEGER NOT NULL, missing INTEGER NOT NULL, farthest_mm REAL NOT NULL) STRICT;
CREATE INDEX runs_by_time ON runs (begun);
CREATE TABLE passes (
  run INTEGER NOT NULL REFERENCES runs (id) ON DELETE CASCADE, pass INTEGER NOT NULL, role TEXT NOT NULL,
  tool TEXT NOT NULL, tool_name TEXT NOT NULL, tool_kind TEXT NOT NULL, stock TEXT NOT NULL, stock_name TEXT NOT NULL,
  thickness_mm REAL NOT NULL, grammage_gsm REAL NOT NULL, holder INTEGER NOT NULL, force_gf REAL NOT NULL,
  speed_mm_s REAL NOT NULL, depth REAL NOT NULL, repeats INTEGER NOT NULL, planned_s REAL NOT NULL,
  real_s REAL NOT NULL, lifts INTEGER NOT NULL, metres REAL NOT NULL, PRIMARY KEY (run, pass)) STRICT, WITHOUT ROWID;
CREATE INDEX passes_by_stock ON passes (stock, stock_name);
CREATE TABLE pauses (
  run INTEGER NOT NULL REFERENCES runs (id) ON DELETE CASCADE, number INTEGER NOT NULL, planned_s REAL NOT NULL,
  real_s REAL NOT NULL, PRIMARY KEY (run, number)) STRICT, WITHOUT ROWID;
CREATE TABLE sheets (
  run INTEGER NOT NULL REFERENCES runs (id) ON DELETE CASCADE, sheet INTEGER NOT NULL, stock TEXT NOT NULL,
  width_mm REAL NOT NULL, height_mm REAL NOT NULL, shelf INTEGER NOT NULL, scrap INTEGER NOT NULL,
  PRIMARY KEY (run, sheet)) STRICT, WITHOUT ROWID;
)",
                            // 2: how it came out, with a picture, a note and photographs; test cuts
                            R"(
ALTER TABLE runs ADD COLUMN test_cut INTEGER NOT NULL DEFAULT 0;
ALTER TABLE runs ADD COLUMN weeding TEXT NOT NULL DEFAULT '';
ALTER TABLE runs ADD COLUMN note TEXT NOT NULL DEFAULT '';
ALTER TABLE passes ADD COLUMN came_out TEXT NOT NULL DEFAULT '';
ALTER TABLE passes ADD COLUMN pace REAL NOT NULL DEFAULT 1;
CREATE TABLE pictures (run INTEGER PRIMARY KEY REFERENCES runs (id) ON DELETE CASCADE, png BLOB NOT NULL) STRICT;
CREATE TABLE photos (
  run INTEGER NOT NULL REFERENCES runs (id) ON DELETE CASCADE, file TEXT NOT NULL, PRIMARY KEY (run, file))
  STRICT, WITHOUT ROWID;
)",
                            // 3: when blades, tips and pens were changed for new ones
                            R"(
CREATE INDEX passes_by_tool ON passes (tool, tool_name);
CREATE TABLE changes (tool TEXT NOT NULL, at TEXT NOT NULL, PRIMARY KEY (tool, at)) STRICT, WITHOUT ROWID;
)"};

int version_of(Database& database) {
  Statement version(database, "PRAGMA user_version");
  version.step();
  return static_cast<int>(version.integer(0));
}

/// Brings it up to a version, each step whole or not at all.
void bring_up(Database& database, int to) {
  while (version_of(database) < to) {
    Transaction step(database);
    const int now = version_of(database);  // another window may have been quicker
    if (now >= to) break;
    database.run(kSteps[static_cast<std::size_t>(now)]);
    database.run("PRAGMA user_version = " + std::to_string(now + 1));
    step.commit();
  }
}

std::string packed(std::string_view text) {
  uLongf size = compressBound(static_cast<uLong>(text.size()));
  std::string out(size, '\0');
  compress2(reinterpret_cast<Bytef*>(out.data()), &size, reinterpret_cast<const Bytef*>(text.data()),
            static_cast<uLong>(text.size()), Z_BEST_COMPRESSION);
  out.resize(size);
  return out;
}

std::string unpacked(const std::string& bytes, std::size_t size) {
  std::string out(size, '\0');
  uLongf got = static_cast<uLongf>(size);
  if (uncompress(reinterpret_cast<Bytef*>(out.data()), &got, reinterpret_cast<const Bytef*>(bytes.data()),
                 static_cast<uLong>(bytes.size())) != Z_OK ||
      got != size)
    throw SqlFailure{{ErrorKind::malformed, {"log-project-damaged"}, {}}};
  return out;
}

/// By its contents: two checksums and the length.
std::string key_of(std::string_view text) {
  return std::to_string(checksum_of(text)) + "-" +
         std::to_string(adler32(1, reinterpret_cast<const Bytef*>(text.data()), static_cast<uInt>(text.size()))) + "-" +
         std::to_string(text.size());
}

Outcome outcome_from(const std::string& text) {
  for (const Outcome o : {Outcome::running, Outcome::done, Outcome::cancelled, Outcome::failed}) {
    if (text == word(o)) return o;
  }
  return Outcome::failed;
}

/// Put together as conditions on runs; values are bound in the same order.
struct Where {
  std::string sql;
  std::vector<std::string> values;
};

Where where_of(const RunFilter& filter) {
  Where out;
  std::string pass;
  const auto add = [&](std::string& to, const std::string& condition, const std::string& value) {
    to += (to.empty() ? "" : " AND ") + condition;
    out.values.push_back(value);
  };
  if (!filter.project.empty()) add(out.sql, "project = ?", filter.project);
  if (!filter.stock.empty()) add(pass, "p.stock = ?", filter.stock);
  if (!filter.tool.empty()) add(pass, "p.tool = ?", filter.tool);
  if (filter.came_out) add(pass, "p.came_out = ?", std::string(word(*filter.came_out)));
  if (filter.role) add(pass, "p.role = ?", std::string(word(*filter.role)));
  if (!pass.empty())
    out.sql += std::string(out.sql.empty() ? "" : " AND ") +
               "EXISTS (SELECT 1 FROM passes p WHERE p.run = runs.id AND " + pass + ")";
  if (!filter.rehearsed) out.sql += std::string(out.sql.empty() ? "" : " AND ") + "rehearsed = 0";
  if (!out.sql.empty()) out.sql = " WHERE " + out.sql;
  out.sql += " ORDER BY begun DESC, id DESC";
  if (filter.most > 0) out.sql += " LIMIT " + std::to_string(filter.most);
  return out;
}

Statement select(Database& database, const std::string& columns, const RunFilter& filter) {
  const Where where = where_of(filter);
  Statement out(database, "SELECT " + columns + " FROM runs" + where.sql);
  for (const auto& value : where.values) out.bind(std::string_view(value));
  return out;
}

constexpr const char* kRunColumns =
    "id, job, begun, project, file, project_key, machine, rehearsed, outcome, parts, planned_s, real_s, strokes, "
    "missing, farthest_mm, test_cut, weeding, note";

LoggedRun run_from(const Statement& row) {
  LoggedRun run;
  run.id = row.integer(0);
  run.job = row.text(1), run.begun = row.text(2), run.project = row.text(3), run.file = row.text(4);
  run.project_key = row.text(5), run.machine = row.text(6);
  run.rehearsed = row.integer(7) != 0;
  run.outcome = outcome_from(row.text(8));
  run.parts = static_cast<int>(row.integer(9));
  run.planned_s = row.real(10), run.real_s = row.real(11);
  run.strokes = static_cast<int>(row.integer(12)), run.missing = static_cast<int>(row.integer(13));
  run.farthest_mm = row.real(14);
  run.test_cut = row.integer(15) != 0;
  run.weeding = weeding_from(row.text(16)).value_or(Weeding::unsaid);
  run.note = row.text(17);
  return run;
}

/// Fills in what hangs on a run.
class Details {
 public:
  explicit Details(Database& database)
      : passes_(database,
                "SELECT pass, role, tool, tool_name, tool_kind, stock, stock_name, thickness_mm, grammage_gsm, holder, "
                "force_gf, speed_mm_s, depth, repeats, planned_s, real_s, lifts, metres, came_out, pace FROM passes "
                "WHERE run = ? ORDER BY pass"),
        pauses_(database, "SELECT number, planned_s, real_s FROM pauses WHERE run = ? ORDER BY number"),
        sheets_(database,
                "SELECT sheet, stock, width_mm, height_mm, shelf, scrap FROM sheets WHERE run = ? ORDER BY sheet"),
        photos_(database, "SELECT file FROM photos WHERE run = ? ORDER BY file") {}

  void fill(LoggedRun& run) {
    for (passes_.bind(run.id); passes_.step();) {
      LoggedPass p;
      p.index = static_cast<int>(passes_.integer(0));
      p.role = role_from(passes_.text(1)).value_or(Role::cut);
      p.tool = passes_.text(2), p.tool_name = passes_.text(3), p.tool_kind = passes_.text(4);
      p.stock = passes_.text(5), p.stock_name = passes_.text(6);
      p.thickness_mm = passes_.real(7), p.grammage_gsm = passes_.real(8);
      p.holder = static_cast<int>(passes_.integer(9));
      p.force_gf = passes_.real(10), p.speed_mm_s = passes_.real(11), p.depth = passes_.real(12);
      p.repeats = static_cast<int>(passes_.integer(13));
      p.planned_s = passes_.real(14), p.real_s = passes_.real(15);
      p.lifts = static_cast<int>(passes_.integer(16)), p.metres = passes_.real(17);
      p.came_out = came_out_from(passes_.text(18)).value_or(CameOut::unsaid);
      p.pace = passes_.real(19);
      run.passes.push_back(std::move(p));
    }
    passes_.reset();
    for (pauses_.bind(run.id); pauses_.step();)
      run.pauses.push_back({static_cast<int>(pauses_.integer(0)), pauses_.real(1), pauses_.real(2)});
    pauses_.reset();
    for (sheets_.bind(run.id); sheets_.step();)
      run.sheets.push_back({static_cast<int>(sheets_.integer(0)), sheets_.text(1), sheets_.real(2), sheets_.real(3),
                            static_cast<int>(sheets_.integer(4)), sheets_.integer(5) != 0});
    sheets_.reset();
    for (photos_.bind(run.id); photos_.step();) run.photos.push_back(photos_.text(0));
    photos_.reset();
  }

 private:
  Statement passes_, pauses_, sheets_, photos_;
};

std::string quick_check(Database& database) {
  Statement check(database, "PRAGMA quick_check(1)");
  check.step();
  const std::string found = check.text(0);
  return found == "ok" ? std::string() : found;
}

}  // namespace

Logbook::Logbook(std::unique_ptr<Database> database) : database_(std::move(database)) {}
Logbook::Logbook(Logbook&&) noexcept = default;
Logbook& Logbook::operator=(Logbook&&) noexcept = default;
Logbook::~Logbook() = default;

int logbook_version() { return static_cast<int>(kSteps.size()); }

const std::string& Logbook::path() const { return database_->path(); }

Result<Logbook> Logbook::open(const std::string& path) {
  std::error_code made;
  if (const auto folder = fs::path(path).parent_path(); !folder.empty()) fs::create_directories(folder, made);
  return sql_result([&] {
    auto database = std::make_unique<Database>(path);
    const int version = version_of(*database);
    if (version > logbook_version())
      throw SqlFailure{{ErrorKind::unsupported,
                        {"log-newer", {{"version", figure(version)}, {"known", figure(logbook_version())}}},
                        path}};
    if (const std::string found = quick_check(*database); !found.empty())
      throw SqlFailure{{ErrorKind::malformed, {"log-damaged", {{"why", found}}}, path}};
    bring_up(*database, logbook_version());
    return Logbook(std::move(database));
  });
}

Result<void> make_old_logbook(const std::string& path, int version) {
  return sql_result([&] {
    Database database(path);
    bring_up(database, std::min(version, logbook_version()));
  });
}

Result<std::int64_t> Logbook::keep(const LoggedRun& run, std::string_view project, std::string_view picture) {
  return sql_result([&] {
    Database& d = *database_;
    Transaction whole(d);
    const std::string key = key_of(project);
    {
      Statement known(d, "SELECT 1 FROM projects WHERE key = ?");
      known.bind(std::string_view(key));
      if (!known.step()) {
        Statement add(d, "INSERT INTO projects (key, size, packed) VALUES (?, ?, ?)");
        add.bind(std::string_view(key))
            .bind(static_cast<std::int64_t>(project.size()))
            .bind_blob(packed(project))
            .run();
      }
    }
    std::int64_t id = 0;
    std::vector<std::string> said;  // of its passes, by index
    {
      Statement known(d, "SELECT id FROM runs WHERE job = ?");
      known.bind(std::string_view(run.job));
      if (known.step()) id = known.integer(0);
    }
    const auto bind = [&](Statement& s) {
      s.bind(std::string_view(run.job)).bind(std::string_view(run.begun)).bind(std::string_view(run.project));
      s.bind(std::string_view(run.file)).bind(std::string_view(key)).bind(std::string_view(run.machine));
      s.bind(run.rehearsed ? 1 : 0).bind(std::string_view(word(run.outcome))).bind(run.parts);
      s.bind(run.planned_s).bind(run.real_s).bind(run.strokes).bind(run.missing).bind(run.farthest_mm);
      s.bind(run.test_cut ? 1 : 0);
    };
    if (id == 0) {
      Statement add(d,
                    "INSERT INTO runs (job, begun, project, file, project_key, machine, rehearsed, outcome, parts, "
                    "planned_s, real_s, strokes, missing, farthest_mm, test_cut, weeding, note) VALUES "
                    "(?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)");
      bind(add);
      add.bind(word(run.weeding)).bind(std::string_view(run.note)).run();
      id = d.last_id();
    } else {
      Statement change(d,
                       "UPDATE runs SET job = ?, begun = ?, project = ?, file = ?, project_key = ?, machine = ?, "
                       "rehearsed = ?, outcome = ?, parts = ?, planned_s = ?, real_s = ?, strokes = ?, missing = ?, "
                       "farthest_mm = ?, test_cut = ? WHERE id = ?");
      bind(change);
      change.bind(id).run();
      Statement passes(d, "SELECT pass, came_out FROM passes WHERE run = ?");
      for (passes.bind(id); passes.step();) {
        const auto at = static_cast<std::size_t>(std::max<std::int64_t>(0, passes.integer(0)));
        if (at >= said.size()) said.resize(at + 1);
        said[at] = passes.text(1);
      }
      for (const char* table : {"passes", "pauses", "sheets", "pictures"}) {
        Statement drop(d, std::string("DELETE FROM ") + table + " WHERE run = ?");
        drop.bind(id).run();
      }
    }
    Statement pass(d,
                   "INSERT INTO passes (run, pass, role, tool, tool_name, tool_kind, stock, stock_name, thickness_mm, "
                   "grammage_gsm, holder, force_gf, speed_mm_s, depth, repeats, planned_s, real_s, lifts, metres, "
                   "came_out, pace) VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?, ?)");
    for (const auto& p : run.passes) {
      const auto at = static_cast<std::size_t>(std::max(0, p.index));
      const bool before = at < said.size() && !said[at].empty() && p.came_out == CameOut::unsaid;
      pass.bind(id).bind(p.index).bind(word(p.role)).bind(std::string_view(p.tool));
      pass.bind(std::string_view(p.tool_name)).bind(std::string_view(p.tool_kind)).bind(std::string_view(p.stock));
      pass.bind(std::string_view(p.stock_name)).bind(p.thickness_mm).bind(p.grammage_gsm).bind(p.holder);
      pass.bind(p.force_gf).bind(p.speed_mm_s).bind(p.depth).bind(p.repeats).bind(p.planned_s).bind(p.real_s);
      pass.bind(p.lifts).bind(p.metres);
      pass.bind(before ? std::string_view(said[at]) : word(p.came_out)).bind(p.pace).run();
    }
    Statement pause(d, "INSERT INTO pauses (run, number, planned_s, real_s) VALUES (?, ?, ?, ?)");
    for (const auto& p : run.pauses) pause.bind(id).bind(p.number).bind(p.planned_s).bind(p.real_s).run();
    Statement sheet(
        d, "INSERT INTO sheets (run, sheet, stock, width_mm, height_mm, shelf, scrap) VALUES (?, ?, ?, ?, ?, ?, ?)");
    for (const auto& s : run.sheets)
      sheet.bind(id)
          .bind(s.sheet)
          .bind(std::string_view(s.stock))
          .bind(s.width_mm)
          .bind(s.height_mm)
          .bind(s.shelf)
          .bind(s.scrap ? 1 : 0)
          .run();
    Statement photo(d, "INSERT OR IGNORE INTO photos (run, file) VALUES (?, ?)");
    for (const auto& file : run.photos) photo.bind(id).bind(std::string_view(file)).run();
    if (!picture.empty()) {
      Statement add(d, "INSERT INTO pictures (run, png) VALUES (?, ?)");
      add.bind(id).bind_blob(picture).run();
      // Of older runs what was planned is shown instead.
      Statement drop(d,
                     "DELETE FROM pictures WHERE run <= (SELECT run FROM pictures ORDER BY run DESC LIMIT 1 OFFSET ?)");
      drop.bind(kPicturesKept).run();
    }
    whole.commit();
    return id;
  });
}

Result<std::vector<RunGlance>> Logbook::glances(const RunFilter& filter) const {
  return sql_result([&] {
    std::vector<RunGlance> out;
    // Worst first: torn, weak, strong, good, skipped, unsaid.
    Statement row = select(
        *database_,
        "id, begun, project, rehearsed, test_cut, outcome, planned_s, real_s, note, "
        "EXISTS (SELECT 1 FROM pictures WHERE run = runs.id), "
        "(SELECT min(CASE came_out WHEN 'torn' THEN 1 WHEN 'weak' THEN 2 WHEN 'strong' THEN 3 WHEN 'good' THEN 4 "
        "WHEN 'skipped' THEN 5 ELSE 6 END) FROM passes WHERE run = runs.id)",
        filter);
    constexpr std::array kRank{CameOut::unsaid, CameOut::torn,    CameOut::weak,  CameOut::strong,
                               CameOut::good,   CameOut::skipped, CameOut::unsaid};
    while (row.step()) {
      RunGlance g;
      g.id = row.integer(0), g.begun = row.text(1), g.project = row.text(2);
      g.rehearsed = row.integer(3) != 0, g.test_cut = row.integer(4) != 0;
      g.outcome = outcome_from(row.text(5));
      g.planned_s = row.real(6), g.real_s = row.real(7), g.note = row.text(8);
      g.has_picture = row.integer(9) != 0;
      g.came_out = kRank[static_cast<std::size_t>(std::clamp<std::int64_t>(row.integer(10), 0, 6))];
      out.push_back(std::move(g));
    }
    return out;
  });
}

Result<std::vector<LoggedRun>> Logbook::runs(const RunFilter& filter) const {
  return sql_result([&] {
    std::vector<LoggedRun> out;
    for (Statement row = select(*database_, kRunColumns, filter); row.step();) out.push_back(run_from(row));
    Details details(*database_);
    for (auto& run : out) details.fill(run);
    return out;
  });
}

Result<LoggedRun> Logbook::run(std::int64_t id) const {
  return sql_result([&] {
    Statement row(*database_, std::string("SELECT ") + kRunColumns + " FROM runs WHERE id = ?");
    row.bind(id);
    if (!row.step()) throw SqlFailure{{ErrorKind::bad_request, {"log-no-run", {{"run", figure(id)}}}, path()}};
    LoggedRun run = run_from(row);
    Details(*database_).fill(run);
    return run;
  });
}

Result<std::string> Logbook::project_of(std::int64_t id) const {
  return sql_result([&] {
    Statement row(*database_, "SELECT size, packed FROM projects JOIN runs ON key = project_key WHERE id = ?");
    row.bind(id);
    if (!row.step()) throw SqlFailure{{ErrorKind::bad_request, {"log-no-run", {{"run", figure(id)}}}, path()}};
    return unpacked(row.text(1), static_cast<std::size_t>(row.integer(0)));
  });
}

Result<std::string> Logbook::picture_of(std::int64_t id) const {
  return sql_result([&] {
    Statement row(*database_, "SELECT png FROM pictures WHERE run = ?");
    row.bind(id);
    return row.step() ? row.text(0) : std::string();
  });
}

Result<std::int64_t> Logbook::count() const {
  return sql_result([&] {
    Statement row(*database_, "SELECT count(*) FROM runs");
    row.step();
    return row.integer(0);
  });
}

Result<Logbook::Known> Logbook::known() const {
  return sql_result([&] {
    Known out;
    const auto named = [&](const char* id, const char* name, auto& into) {
      Statement row(*database_,
                    std::string("SELECT ") + id + ", max(" + name + ") FROM passes GROUP BY " + id + " ORDER BY 2, 1");
      while (row.step()) into.emplace_back(row.text(0), row.text(1));
    };
    named("stock", "stock_name", out.stocks);
    named("tool", "tool_name", out.tools);
    for (Statement row(*database_, "SELECT DISTINCT project FROM runs ORDER BY 1"); row.step();)
      out.projects.push_back(row.text(0));
    return out;
  });
}

Result<void> Logbook::say(std::int64_t run, int pass, CameOut out) {
  return sql_result([&] {
    Statement(*database_, "UPDATE passes SET came_out = ? WHERE run = ? AND pass = ?")
        .bind(word(out))
        .bind(run)
        .bind(pass)
        .run();
  });
}

Result<void> Logbook::say(std::int64_t run, Weeding weeding) {
  return sql_result(
      [&] { Statement(*database_, "UPDATE runs SET weeding = ? WHERE id = ?").bind(word(weeding)).bind(run).run(); });
}

Result<void> Logbook::note(std::int64_t run, std::string_view note) {
  return sql_result([&] { Statement(*database_, "UPDATE runs SET note = ? WHERE id = ?").bind(note).bind(run).run(); });
}

Result<void> Logbook::add_photo(std::int64_t run, std::string_view file) {
  return sql_result([&] {
    Statement(*database_, "INSERT OR IGNORE INTO photos (run, file) VALUES (?, ?)").bind(run).bind(file).run();
  });
}

Result<void> Logbook::changed(std::string_view tool, std::string_view when) {
  return sql_result([&] {
    Statement(*database_, "INSERT OR IGNORE INTO changes (tool, at) VALUES (?, ?)").bind(tool).bind(when).run();
  });
}

Result<double> Logbook::metres_of(std::string_view tool) const {
  return sql_result([&] {
    Statement row(*database_,
                  "SELECT coalesce(sum(metres), 0.0) FROM passes JOIN runs ON runs.id = passes.run WHERE tool = ?1 AND "
                  "rehearsed = 0 AND begun >= coalesce((SELECT max(at) FROM changes WHERE tool = ?1), '')");
    row.bind(tool);
    row.step();
    return row.real(0);
  });
}

Result<std::string> Logbook::check() const {
  return sql_result([&] {
    Statement check(*database_, "PRAGMA integrity_check(1)");
    check.step();
    std::string found = check.text(0);
    if (found != "ok") return found;
    Statement keys(*database_, "PRAGMA foreign_key_check");
    return keys.step() ? "rows of " + keys.text(0) + " belong to nothing" : std::string();
  });
}

Result<void> Logbook::back_up(const std::string& folder, const std::string& today, int keep_days) const {
  constexpr std::string_view kStart = "logbook-", kEnd = ".sqlite";
  std::error_code trouble;
  fs::create_directories(folder, trouble);
  const fs::path target = fs::path(folder) / (std::string(kStart) + today + std::string(kEnd));
  if (!fs::exists(target)) {
    const fs::path part = target.string() + ".part";
    fs::remove(part, trouble);
    const auto copied = sql_result([&] { database_->back_up_to(part.string()); });
    if (!copied) {
      fs::remove(part, trouble);
      return copied;
    }
    for (const char* beside : {"-wal", "-shm"}) fs::remove(part.string() + beside, trouble);
    fs::rename(part, target, trouble);
    if (trouble) return fail(ErrorKind::unreadable, {"system", {{"why", trouble.message()}}}, target.string());
  }
  std::vector<fs::path> copies;
  for (const auto& entry : fs::directory_iterator(folder, trouble)) {
    const std::string name = entry.path().filename().string();
    if (name.starts_with(kStart) && name.ends_with(kEnd)) copies.push_back(entry.path());
  }
  // One a day is made, so so many copies are so many days at least.
  std::sort(copies.begin(), copies.end());
  for (std::size_t i = 0; i + static_cast<std::size_t>(std::max(1, keep_days)) < copies.size(); ++i)
    fs::remove(copies[i], trouble);
  return {};
}

Result<Mended> mend_logbook(const std::string& path, const std::string& backups, const std::string& when) {
  Mended out;
  std::error_code trouble;
  if (fs::exists(path)) {
    out.aside = path + ".damaged-" + when;
    fs::rename(path, out.aside, trouble);
    if (trouble) return fail(ErrorKind::unreadable, {"system", {{"why", trouble.message()}}}, path);
  }
  for (const char* beside : {"-wal", "-shm"}) fs::remove(path + beside, trouble);
  std::vector<fs::path> copies;
  for (const auto& entry : fs::directory_iterator(backups, trouble)) {
    if (entry.path().extension() == ".sqlite") copies.push_back(entry.path());
  }
  std::sort(copies.rbegin(), copies.rend());
  for (const auto& copy : copies) {
    fs::remove(path, trouble);
    if (!fs::copy_file(copy, path, trouble)) continue;
    if (Logbook::open(path)) {
      out.from = copy.string();
      return out;
    }
  }
  fs::remove(path, trouble);
  return out;
}

}  // namespace dotlane
