#include "core/library/project_index.hpp"

#include <sys/stat.h>

#include <algorithm>
#include <filesystem>
#include <map>
#include <nlohmann/json.hpp>
#include <set>

#include "core/format/said_json.hpp"
#include "core/sqlite.hpp"

namespace dotlane {
namespace {

namespace fs = std::filesystem;

// Another number makes all indexes anew.
constexpr int kVersion = 2;

// Words are found by their beginnings, without regard to case and accents (SQLite's FTS5, tokenizer unicode61).
constexpr const char* kTables = R"(
CREATE TABLE projects (
  id INTEGER PRIMARY KEY, path TEXT NOT NULL UNIQUE, written INTEGER NOT NULL, bytes INTEGER NOT NULL,
  name TEXT NOT NULL, width_mm REAL NOT NULL, height_mm REAL NOT NULL, trouble TEXT NOT NULL, png BLOB NOT NULL) STRICT;
CREATE TABLE pieces (
  project INTEGER NOT NULL REFERENCES projects (id) ON DELETE CASCADE, place INTEGER NOT NULL, piece INTEGER NOT NULL,
  name TEXT NOT NULL, kind TEXT NOT NULL, words TEXT NOT NULL, stock TEXT NOT NULL, width_mm REAL NOT NULL,
  height_mm REAL NOT NULL, PRIMARY KEY (project, place)) STRICT, WITHOUT ROWID;
CREATE VIRTUAL TABLE found USING fts5 (
  project UNINDEXED, piece UNINDEXED, name, kind, words, stock, prefix = '1 2 3',
  tokenize = "unicode61 remove_diacritics 2");
)";

/// Words of a project itself stand under this piece.
constexpr int kWhole = 0;

int version_now(Database& database) {
  Statement version(database, "PRAGMA user_version");
  version.step();
  return static_cast<int>(version.integer(0));
}

std::unique_ptr<Database> made(const std::string& path) {
  auto database = std::make_unique<Database>(path);
  if (version_now(*database) == 0) {
    Transaction all(*database);
    if (version_now(*database) == 0) {  // another window may have been quicker
      database->run(kTables);
      database->run("PRAGMA user_version = " + std::to_string(kVersion));
    }
    all.commit();
  }
  if (version_now(*database) != kVersion) throw SqlFailure{{ErrorKind::malformed, {"index-other-version"}, path}};
  // That it is sound as far as a search goes.
  Statement all(*database, "SELECT count(*) FROM projects JOIN pieces ON id = project");
  all.step();
  Statement words(*database, "SELECT count(*) FROM found WHERE found MATCH '\"a\"*'");
  words.step();
  return database;
}

/// The id of what was known of the path, or 0.
std::int64_t id_of(Database& database, const std::string& path) {
  Statement known(database, "SELECT id FROM projects WHERE path = ?");
  known.bind(path);
  return known.step() ? known.integer(0) : 0;
}

void drop(Database& database, const std::string& path) {
  const std::int64_t id = id_of(database, path);
  if (id == 0) return;
  Statement(database, "DELETE FROM found WHERE project = ?").bind(id).run();
  Statement(database, "DELETE FROM projects WHERE id = ?").bind(id).run();
}

// As JSON; empty for nothing.
std::string text_of(const std::optional<Said>& said) {
  constexpr auto kReplace = nlohmann::json::error_handler_t::replace;  // a name may be no UTF-8
  return said ? from_said(*said).dump(-1, ' ', false, kReplace) : std::string();
}
std::optional<Said> said_from(const std::string& text) {
  if (text.empty()) return std::nullopt;
  try {
    return to_said(nlohmann::json::parse(text));
  } catch (const nlohmann::json::exception&) {
    return Said{text};  // somebody else wrote there
  }
}

std::int64_t add(Database& database, const std::string& path, const FileStamp& stamp, const ProjectGlance& glance,
                 const std::optional<Said>& trouble, std::string_view picture) {
  Statement(database,
            "INSERT INTO projects (path, written, bytes, name, width_mm, height_mm, trouble, png) VALUES "
            "(?, ?, ?, ?, ?, ?, ?, ?)")
      .bind(path)
      .bind(stamp.written)
      .bind(stamp.bytes)
      .bind(glance.name)
      .bind(glance.size_mm.x)
      .bind(glance.size_mm.y)
      .bind(text_of(trouble))
      .bind_blob(picture)
      .run();
  const std::int64_t id = database.last_id();
  Statement words(database, "INSERT INTO found (project, piece, name, kind, words, stock) VALUES (?, ?, ?, ?, ?, ?)");
  words.bind(id).bind(kWhole).bind(glance.name).bind(fs::path(path).stem().string()).bind("").bind("").run();
  return id;
}

/// The word as FTS5 takes it: its beginning, whatever characters are in it.
std::string beginning(const std::string& word) {
  std::string out = "\"";
  for (const char c : word) out += c == '"' ? std::string("\"\"") : std::string(1, c);
  return out + "\"*";
}

/// How well something meets what was asked for: how much of it, then how well; SQLite's ranks are the lower, the
/// better.
struct Met {
  int asked = 0;
  double rank = 0;
  void add(const Met& more) { asked += more.asked, rank += more.rank; }
};

struct Score {
  double words = 0;
  std::map<int, Met> pieces;
};

}  // namespace

FileStamp stamp_of(const std::string& path) {
  struct stat now {};
  if (::stat(path.c_str(), &now) != 0 || !S_ISREG(now.st_mode)) return {};
  constexpr std::int64_t kSecond = 1'000'000'000;
  return {now.st_mtim.tv_sec * kSecond + now.st_mtim.tv_nsec, now.st_size};
}

ProjectIndex::ProjectIndex(std::unique_ptr<Database> database) : database_(std::move(database)) {}
ProjectIndex::ProjectIndex(ProjectIndex&&) noexcept = default;
ProjectIndex& ProjectIndex::operator=(ProjectIndex&&) noexcept = default;
ProjectIndex::~ProjectIndex() = default;

Result<ProjectIndex> ProjectIndex::open(const std::string& path) {
  std::error_code ignored;
  fs::create_directories(fs::path(path).parent_path(), ignored);
  auto database = sql_result([&] { return made(path); });
  if (!database && database.error().kind == ErrorKind::malformed) {
    for (const char* of : {"", "-wal", "-shm"}) fs::remove(path + of, ignored);
    database = sql_result([&] { return made(path); });
  }
  if (!database) return tl::unexpected<Error>(database.error());
  return ProjectIndex(std::move(*database));
}

Result<bool> ProjectIndex::knows(const std::string& path, const FileStamp& stamp) const {
  return sql_result([&] {
    Statement known(*database_, "SELECT written, bytes FROM projects WHERE path = ?");
    known.bind(path);
    return known.step() && FileStamp{known.integer(0), known.integer(1)} == stamp;
  });
}

Result<void> ProjectIndex::take_in(const std::string& path, const FileStamp& stamp, const ProjectGlance& glance,
                                   std::string_view picture) {
  return sql_result([&] {
    Transaction all(*database_);
    drop(*database_, path);
    const std::int64_t id = add(*database_, path, stamp, glance, {}, picture);
    Statement row(*database_, "INSERT INTO pieces VALUES (?, ?, ?, ?, ?, ?, ?, ?, ?)"),
        words(*database_, "INSERT INTO found (project, piece, name, kind, words, stock) VALUES (?, ?, ?, ?, ?, ?)");
    int place = 0;
    for (const auto& p : glance.pieces) {
      row.bind(id).bind(place++).bind(p.id).bind(p.name).bind(p.kind).bind(p.words).bind(p.stock);
      row.bind(p.size_mm.x).bind(p.size_mm.y).run();
      words.bind(id).bind(p.id).bind(p.name).bind(p.kind).bind(p.words).bind(p.stock).run();
    }
    all.commit();
  });
}

Result<void> ProjectIndex::take_in_unread(const std::string& path, const FileStamp& stamp, const Said& why) {
  return sql_result([&] {
    Transaction all(*database_);
    drop(*database_, path);
    add(*database_, path, stamp, {fs::path(path).stem().string(), {}, {}}, why, {});
    all.commit();
  });
}

Result<void> ProjectIndex::note(const std::string& path) {
  return sql_result([&] {
    Transaction all(*database_);
    if (id_of(*database_, path) == 0) add(*database_, path, {}, {fs::path(path).stem().string(), {}, {}}, {}, {});
    all.commit();
  });
}

Result<void> ProjectIndex::forget(const std::string& path) {
  return sql_result([&] {
    Transaction all(*database_);
    drop(*database_, path);
    all.commit();
  });
}

Result<std::vector<std::string>> ProjectIndex::paths() const {
  return sql_result([&] {
    std::vector<std::string> out;
    Statement all(*database_, "SELECT path FROM projects ORDER BY path");
    while (all.step()) out.push_back(all.text(0));
    return out;
  });
}

Result<std::vector<FoundProject>> ProjectIndex::find(const ProjectQuery& query) const {
  return sql_result([&] {
    // Word by word: what each is found in; a project has to be there for all of them.
    std::map<std::int64_t, Score> scores;
    for (std::size_t n = 0; n < query.words.size(); ++n) {
      std::map<std::int64_t, Score> now;
      // A name tells more than a kind, a kind more than a word on it, that more than what it is cut from.
      Statement hits(*database_, "SELECT project, piece, bm25(found, 0, 0, 8, 4, 2, 1) FROM found WHERE found MATCH ?");
      hits.bind(beginning(query.words[n]));
      while (hits.step()) {
        const std::int64_t id = hits.integer(0);
        if (n > 0 && !scores.contains(id)) continue;
        Score& score = now[id];
        score.words = std::min(score.words, hits.real(2));
        if (const int piece = static_cast<int>(hits.integer(1)); piece != kWhole)
          score.pieces[piece].add({1, hits.real(2)});
      }
      for (auto& [id, score] : now) {
        if (n == 0) continue;
        score.words += scores[id].words;
        for (const auto& [piece, met] : scores[id].pieces) score.pieces[piece].add(met);
      }
      scores = std::move(now);
    }
    std::vector<std::pair<double, FoundProject>> out;
    Statement all(*database_,
                  "SELECT id, path, written, bytes, name, width_mm, height_mm, trouble FROM projects "
                  "ORDER BY written DESC, path"),
        pieces(*database_,
               "SELECT piece, name, kind, words, stock, width_mm, height_mm FROM pieces WHERE project = ? "
               "ORDER BY place");
    while (all.step()) {
      const std::int64_t id = all.integer(0);
      const auto score = scores.find(id);
      if (!query.words.empty() && score == scores.end()) continue;
      FoundProject project;
      project.path = all.text(1), project.stamp = {all.integer(2), all.integer(3)};
      project.glance.name = all.text(4), project.glance.size_mm = {all.real(5), all.real(6)};
      project.trouble = said_from(all.text(7));
      if (!stamp_of(project.path).exists()) continue;
      std::map<int, Met> met = score != scores.end() ? score->second.pieces : std::map<int, Met>{};
      std::set<std::string> stocks;
      pieces.bind(id);
      while (pieces.step()) {
        PieceGlance p{
            static_cast<int>(pieces.integer(0)), pieces.text(1), pieces.text(2), pieces.text(3), pieces.text(4),
            {pieces.real(5), pieces.real(6)}};
        if (stocks.insert(p.stock).second) project.stocks.push_back(p.stock);
        project.glance.pieces.push_back(std::move(p));
      }
      pieces.reset();
      bool fits = true;
      for (const auto& size : query.sizes) {
        bool found = matches(size, project.glance.size_mm.x, project.glance.size_mm.y);
        for (const auto& p : project.glance.pieces) {
          if (!matches(size, p.size_mm.x, p.size_mm.y)) continue;
          found = true;
          met[p.id].add({1, 0});
        }
        fits = fits && found;
      }
      if (!fits) continue;
      int most = 0;
      for (const auto& [piece, m] : met) most = std::max(most, m.asked);
      std::vector<std::pair<double, int>> ranked;
      for (const auto& [piece, m] : met) {
        if (m.asked == most) ranked.emplace_back(m.rank, piece);
      }
      std::stable_sort(ranked.begin(), ranked.end());
      for (const auto& [rank, piece] : ranked) project.hits.push_back(piece);
      out.emplace_back(score != scores.end() ? score->second.words : 0, std::move(project));
    }
    std::stable_sort(out.begin(), out.end(), [](const auto& a, const auto& b) { return a.first < b.first; });
    std::vector<FoundProject> sorted;
    for (auto& [rank, project] : out) sorted.push_back(std::move(project));
    return sorted;
  });
}

Result<std::string> ProjectIndex::picture_of(const std::string& path) const {
  return sql_result([&] {
    Statement picture(*database_, "SELECT png FROM projects WHERE path = ?");
    picture.bind(path);
    return picture.step() ? picture.text(0) : std::string();
  });
}

}  // namespace dotlane
