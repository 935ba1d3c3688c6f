// The journal on the disk: what it says comes back, and what was cut off does not count.
#include "core/format/journal.hpp"

#include <filesystem>
#include <fstream>

#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

struct Folder {
  std::filesystem::path path =
      std::filesystem::temp_directory_path() / ("dot-lane-journal-" + std::to_string(::getpid()));
  Folder() { std::filesystem::create_directories(path); }
  ~Folder() { std::filesystem::remove_all(path); }
  [[nodiscard]] std::string file(const char* name) const { return (path / name).string(); }
};

const JournalHead kHead{"a1b2", "Lighthouse \"card\"", "/tmp/card.dotlane", "2026-11-30T12:00:00", 120, 45'000, 77, 3};

}  // namespace

TEST_CASE("a journal is read as it was written") {
  const Folder folder;
  const std::string path = folder.file("journal.jsonl");
  JournalFile file;
  REQUIRE(file.open(path));
  using Kind = JournalLine::Kind;
  REQUIRE(file.add(journal_text(kHead)));
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::part, .number = 1})));
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::sent, .place = {50, 0}})));
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::done, .place = {12, 3.25}, .seconds = 61.5})));
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::card, .text = "tape on all four sides"})));
  auto state = read_journal(path);
  REQUIRE(state);
  CHECK(state->head == kHead);
  CHECK(state->parts.size() == 1);
  CHECK((state->sent == JobPlace{50, 0}));
  CHECK((state->done == JobPlace{12, 3.25}));
  CHECK(state->seconds == 61.5);
  CHECK(state->cards == std::vector<std::string>{"tape on all four sides"});
  CHECK(state->broken_off());
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::lost, .text = "the line went dead"})));
  CHECK(read_journal(path)->broken_off());
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::part, .number = 2, .place = {12, 3.25}})));
  REQUIRE(file.add(journal_text(JournalLine{.kind = Kind::end, .text = "done"})));
  state = read_journal(path);
  CHECK(state->parts.size() == 2);
  CHECK(state->outcome == "done");
  CHECK_FALSE(state->broken_off());
}

TEST_CASE("a last line that was cut off does not count, and is cut away before more is added") {
  const Folder folder;
  const std::string path = folder.file("journal.jsonl");
  const std::string whole =
      journal_text(kHead) + journal_text(JournalLine{.kind = JournalLine::Kind::done, .place = {7, 0}});
  const std::string next = journal_text(JournalLine{.kind = JournalLine::Kind::done, .place = {9, 0}});
  for (std::size_t n = 0; n < next.size(); ++n) {
    std::ofstream(path, std::ios::binary) << whole << next.substr(0, n);
    REQUIRE(read_journal(path));
    CHECK(read_journal(path)->done.instruction == 7);
    {
      JournalFile file;
      REQUIRE(file.open(path));
      REQUIRE(file.add(journal_text(JournalLine{.kind = JournalLine::Kind::done, .place = {8, 0}})));
    }
    CHECK(read_journal(path)->done.instruction == 8);
  }
}

TEST_CASE("looking into a journal leaves the time at which it was written") {
  const Folder folder;
  const std::string path = folder.file("journal.jsonl");
  std::ofstream(path) << journal_text(kHead);
  const auto before = std::filesystem::file_time_type::clock::now() - std::chrono::hours(3);
  std::filesystem::last_write_time(path, before);
  {
    JournalFile file;
    REQUIRE(file.open(path));
  }
  CHECK(std::filesystem::last_write_time(path) == before);
}

TEST_CASE("damage in the middle is named with its line, and so are files that are no journals, or in use") {
  const Folder folder;
  const std::string path = folder.file("journal.jsonl");
  std::ofstream(path) << journal_text(kHead) << "not json\n" << journal_text(JournalLine{});
  const auto damaged = read_journal(path);
  REQUIRE_FALSE(damaged);
  CHECK(line_of(damaged.error()).find(":2: ") != std::string::npos);
  CHECK(line_of(damaged.error()).find(path) == 0);
  std::ofstream(path) << "{}\n";
  CHECK_FALSE(read_journal(path));
  std::ofstream(path) << "";
  CHECK_FALSE(read_journal(path));
  CHECK_FALSE(read_journal(folder.file("none")));
  JournalFile file, other;
  REQUIRE(file.open(path));
  const auto again = other.open(path);
  REQUIRE_FALSE(again);
  CHECK(sentence(again.error().said).find("under way") != std::string::npos);
}

TEST_CASE("a disk that is full leaves the journal as it was") {
  const Folder folder;
  const std::string path = folder.file("full");
  std::filesystem::create_symlink("/dev/full", path);
  JournalFile file;
  const auto opened = file.open(path);
  if (opened) CHECK_FALSE(file.add("{}\n"));
}
