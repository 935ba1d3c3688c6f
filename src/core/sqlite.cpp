#include "core/sqlite.hpp"

#include <sqlite3.h>

namespace dotlane {

Statement::Statement(Database& database, std::string_view sql) : database_(database) {
  sqlite3_stmt* made = nullptr;
  if (sqlite3_prepare_v2(database.handle(), sql.data(), static_cast<int>(sql.size()), &made, nullptr) != SQLITE_OK)
    database.give_up();
  statement_.reset(made);
}

void Statement::Close::operator()(sqlite3_stmt* s) const { sqlite3_finalize(s); }

Statement& Statement::bind(std::int64_t value) {
  if (sqlite3_bind_int64(statement_.get(), ++bound_, value) != SQLITE_OK) database_.give_up();
  return *this;
}

Statement& Statement::bind(double value) {
  if (sqlite3_bind_double(statement_.get(), ++bound_, value) != SQLITE_OK) database_.give_up();
  return *this;
}

Statement& Statement::bind(std::string_view value) {
  if (sqlite3_bind_text64(statement_.get(), ++bound_, value.data() ? value.data() : "", value.size(), SQLITE_TRANSIENT,
                          SQLITE_UTF8) != SQLITE_OK)
    database_.give_up();
  return *this;
}

Statement& Statement::bind_blob(std::string_view value) {
  if (sqlite3_bind_blob64(statement_.get(), ++bound_, value.data() ? value.data() : "", value.size(),
                          SQLITE_TRANSIENT) != SQLITE_OK)
    database_.give_up();
  return *this;
}

bool Statement::step() {
  const int code = sqlite3_step(statement_.get());
  if (code == SQLITE_ROW) return true;
  if (code != SQLITE_DONE) database_.give_up();
  return false;
}

void Statement::run() {
  while (step()) {
  }
  reset();
}

void Statement::reset() {
  sqlite3_reset(statement_.get());
  sqlite3_clear_bindings(statement_.get());
  bound_ = 0;
}

std::int64_t Statement::integer(int column) const { return sqlite3_column_int64(statement_.get(), column); }

double Statement::real(int column) const { return sqlite3_column_double(statement_.get(), column); }

std::string Statement::text(int column) const {
  const void* bytes = sqlite3_column_blob(statement_.get(), column);
  const int size = sqlite3_column_bytes(statement_.get(), column);
  return bytes ? std::string(static_cast<const char*>(bytes), static_cast<std::size_t>(size)) : std::string();
}

bool Statement::null(int column) const { return sqlite3_column_type(statement_.get(), column) == SQLITE_NULL; }

Database::Database(const std::string& path, int wait_ms) : path_(path) {
  sqlite3* made = nullptr;
  const int code = sqlite3_open_v2(path.c_str(), &made, SQLITE_OPEN_READWRITE | SQLITE_OPEN_CREATE, nullptr);
  handle_.reset(made);
  if (code != SQLITE_OK) give_up();
  sqlite3_extended_result_codes(made, 1);
  sqlite3_busy_timeout(made, wait_ms);
  run("PRAGMA journal_mode = WAL");
  run("PRAGMA synchronous = FULL");  // what was committed stays, whatever ends then
  run("PRAGMA foreign_keys = ON");
}

void Database::Close::operator()(sqlite3* d) const { sqlite3_close(d); }

void Database::run(const std::string& sql) {
  if (sqlite3_exec(handle_.get(), sql.c_str(), nullptr, nullptr, nullptr) != SQLITE_OK) give_up();
}

std::int64_t Database::last_id() const { return sqlite3_last_insert_rowid(handle_.get()); }

void Database::give_up() const {
  const int code = handle_ ? sqlite3_errcode(handle_.get()) & 0xff : SQLITE_NOMEM;
  const bool damaged = code == SQLITE_CORRUPT || code == SQLITE_NOTADB;
  throw SqlFailure{{damaged ? ErrorKind::malformed : ErrorKind::unreadable,
                    handle_ ? Said{"system", {{"why", sqlite3_errmsg(handle_.get())}}} : Said{"no-memory"}, path_}};
}

void Database::back_up_to(const std::string& path) const {
  const Database to(path);
  sqlite3_backup* copy = sqlite3_backup_init(to.handle(), "main", handle(), "main");
  if (!copy) to.give_up();
  constexpr int kAllPages = -1;
  const int code = sqlite3_backup_step(copy, kAllPages);
  sqlite3_backup_finish(copy);
  if (code != SQLITE_DONE) to.give_up();
}

Transaction::~Transaction() {
  if (!open_) return;
  sqlite3_exec(database_.handle(), "ROLLBACK", nullptr, nullptr, nullptr);
}

void Transaction::commit() {
  database_.run("COMMIT");
  open_ = false;
}

}  // namespace dotlane
