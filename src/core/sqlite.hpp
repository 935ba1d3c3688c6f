// SQLite as values: a database, statements with their values bound, errors as errors.
#pragma once

#include <cstdint>
#include <memory>
#include <string>
#include <string_view>
#include <type_traits>

#include "core/error.hpp"

struct sqlite3;
struct sqlite3_stmt;

namespace dotlane {

/// Thrown by what is in here, and caught by sql_result(): what rooms that use it hand out are Results.
struct SqlFailure {
  Error error;
};
template <class Work>
auto sql_result(Work&& work) -> Result<decltype(work())> {
  try {
    if constexpr (std::is_void_v<decltype(work())>) {
      work();
      return {};
    } else {
      return work();
    }
  } catch (const SqlFailure& failure) {
    return tl::unexpected<Error>(failure.error);
  }
}

class Database;

class Statement {
 public:
  Statement(Database& database, std::string_view sql);
  Statement& bind(std::int64_t value);
  Statement& bind(int value) { return bind(static_cast<std::int64_t>(value)); }
  Statement& bind(double value);
  Statement& bind(std::string_view value);
  Statement& bind_blob(std::string_view value);
  /// The next row; false when there is none.
  bool step();
  /// Carries it out and makes it ready for the next values.
  void run();
  void reset();
  [[nodiscard]] std::int64_t integer(int column) const;
  [[nodiscard]] double real(int column) const;
  [[nodiscard]] std::string text(int column) const;  ///< or a blob's bytes
  [[nodiscard]] bool null(int column) const;

 private:
  struct Close {
    void operator()(sqlite3_stmt* s) const;
  };
  Database& database_;
  std::unique_ptr<sqlite3_stmt, Close> statement_;
  int bound_ = 0;
};

class Database {
 public:
  /// Opens or makes the file, in WAL mode, with foreign keys; writers wait for each other for so long.
  explicit Database(const std::string& path, int wait_ms = 10'000);
  void run(const std::string& sql);
  [[nodiscard]] std::int64_t last_id() const;
  [[nodiscard]] const std::string& path() const { return path_; }
  [[nodiscard]] sqlite3* handle() const { return handle_.get(); }
  [[noreturn]] void give_up() const;
  /// Copies it to another file while others may read and write.
  void back_up_to(const std::string& path) const;

 private:
  struct Close {
    void operator()(sqlite3* d) const;
  };
  std::string path_;
  std::unique_ptr<sqlite3, Close> handle_;
};

/// Begins at once, so that two writers never wait for each other in a circle; rolled back unless committed.
class Transaction {
 public:
  explicit Transaction(Database& database) : database_(database) { database_.run("BEGIN IMMEDIATE"); }
  Transaction(const Transaction&) = delete;
  Transaction& operator=(const Transaction&) = delete;
  ~Transaction();
  void commit();

 private:
  Database& database_;
  bool open_ = true;
};

}  // namespace dotlane
