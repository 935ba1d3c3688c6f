#include "core/format/journal.hpp"

#include <fcntl.h>
#include <sys/file.h>
#include <sys/stat.h>
#include <unistd.h>
#include <zlib.h>

#include <array>
#include <cerrno>
#include <cstring>
#include <nlohmann/json.hpp>

#include "core/format/files.hpp"

namespace dotlane {
namespace {

using LineJson = nlohmann::ordered_json;
using Kind = JournalLine::Kind;

constexpr std::array<std::pair<Kind, const char*>, 10> kLineWords{{{Kind::part, "part"},
                                                                   {Kind::sent, "sent"},
                                                                   {Kind::done, "done"},
                                                                   {Kind::pause, "pause"},
                                                                   {Kind::card, "card"},
                                                                   {Kind::loaded, "loaded"},
                                                                   {Kind::held, "held"},
                                                                   {Kind::lost, "lost"},
                                                                   {Kind::unloaded, "unloaded"},
                                                                   {Kind::end, "end"}}};

JobPlace place_from(const LineJson& json) {
  return {json.value("instruction", std::size_t{0}), json.value("run_mm", 0.0)};
}

}  // namespace

unsigned checksum_of(std::string_view text) {
  uLong sum = crc32(0, nullptr, 0);
  while (!text.empty()) {
    const std::string_view part = text.substr(0, 1 << 30);
    sum = crc32(sum, reinterpret_cast<const Bytef*>(part.data()), static_cast<uInt>(part.size()));
    text.remove_prefix(part.size());
  }
  return static_cast<unsigned>(sum);
}

std::string journal_text(const JournalHead& head) {
  LineJson json{{"journal", 1},        {"job", head.job},           {"project", head.project},
                {"file", head.file},   {"begun", head.begun},       {"instructions", head.instructions},
                {"bytes", head.bytes}, {"checksum", head.checksum}, {"laid_seed", head.laid_seed}};
  if (head.rehearsed) json["rehearsed"] = true;
  if (head.test_cut) json["test_cut"] = true;
  return json.dump(-1, ' ', false, LineJson::error_handler_t::replace) + "\n";
}

std::string journal_text(const JournalLine& line) {
  LineJson json;
  for (const auto& [kind, word] : kLineWords) {
    if (kind == line.kind) json["ev"] = word;
  }
  if (line.kind == Kind::part || line.kind == Kind::pause) json["number"] = line.number;
  if (line.kind == Kind::part || line.kind == Kind::sent || line.kind == Kind::done) {
    json["instruction"] = line.place.instruction;
    if (line.place.run_mm > 0) json["run_mm"] = line.place.run_mm;
  }
  if (line.kind == Kind::done) json["seconds"] = line.seconds;
  if (line.ms > 0) json["ms"] = line.ms;
  if (!line.text.empty()) json["text"] = line.text;
  if (line.kind == Kind::loaded) json["holders"] = line.holders;
  return json.dump(-1, ' ', false, LineJson::error_handler_t::replace) + "\n";
}

Result<JournalState> read_journal(const std::string& path) {
  const auto text = read_file(path);
  if (!text) return tl::unexpected<Error>(text.error());
  JournalState out;
  std::size_t from = 0;
  int number = 0;
  for (std::size_t end = text->find('\n'); end != std::string::npos; end = text->find('\n', from)) {
    const auto json = LineJson::parse(text->begin() + static_cast<std::ptrdiff_t>(from),
                                      text->begin() + static_cast<std::ptrdiff_t>(end), nullptr, false);
    ++number;
    from = end + 1;
    const auto bad = [&](Said said) {
      return fail(ErrorKind::malformed, std::move(said), path + ":" + std::to_string(number));
    };
    if (!json.is_object()) return bad({"journal-damaged"});
    try {
      if (number == 1) {
        if (json.value("journal", 0) != 1) return bad({"journal-none"});
        JournalHead& h = out.head;
        h.job = json.at("job").get<std::string>(), h.project = json.value("project", std::string());
        h.file = json.value("file", std::string()), h.begun = json.value("begun", std::string());
        h.instructions = json.at("instructions").get<std::size_t>(), h.bytes = json.at("bytes").get<std::size_t>();
        h.checksum = json.at("checksum").get<unsigned>(), h.laid_seed = json.value("laid_seed", 1U);
        h.rehearsed = json.value("rehearsed", false), h.test_cut = json.value("test_cut", false);
        continue;
      }
      const auto word = json.at("ev").get<std::string>();
      for (const auto& [kind, known] : kLineWords) {
        if (word != known) continue;
        if (kind == Kind::part || kind == Kind::done || kind == Kind::pause || kind == Kind::loaded)
          out.lines.push_back({.kind = kind,
                               .number = json.value("number", 0),
                               .place = place_from(json),
                               .seconds = json.value("seconds", 0.0),
                               .ms = json.value("ms", 0.0)});
        if (kind == Kind::part) {
          out.parts.push_back(place_from(json));
          out.sent = out.done = out.parts.back();
          out.outcome.clear();
        } else if (kind == Kind::sent) {
          out.sent = place_from(json);
        } else if (kind == Kind::done) {
          out.done = place_from(json), out.seconds = json.value("seconds", 0.0);
        } else if (kind == Kind::card) {
          out.cards.push_back(json.value("text", std::string()));
        } else if (kind == Kind::unloaded) {
          out.unloaded = true;
        } else if (kind == Kind::end) {
          out.outcome = json.value("text", std::string());
        }
      }
    } catch (const LineJson::exception& e) {
      return bad({"journal-damaged", {{"why", e.what()}}});
    }
  }
  if (number == 0) return fail(ErrorKind::malformed, {"journal-empty"}, path);
  return out;
}

JournalFile::~JournalFile() {
  if (file_ >= 0) ::close(file_);
}

Result<void> JournalFile::open(const std::string& path) {
  path_ = path;
  if (file_ >= 0) ::close(file_);
  file_ = ::open(path.c_str(), O_RDWR | O_CREAT | O_CLOEXEC, 0644);
  if (file_ < 0) return fail(ErrorKind::unreadable, {"system", {{"why", std::strerror(errno)}}}, path);
  if (::flock(file_, LOCK_EX | LOCK_NB) != 0) return fail(ErrorKind::unreadable, {"journal-in-use"}, path);
  const off_t there = ::lseek(file_, 0, SEEK_END);
  off_t size = there;
  char last = '\n';
  while (size > 0 && ::pread(file_, &last, 1, size - 1) == 1 && last != '\n') --size;
  // Only then: the time at which it was last written tells when a run was broken off.
  if ((size < there && ::ftruncate(file_, size) != 0) || ::lseek(file_, 0, SEEK_END) < 0)
    return fail(ErrorKind::unreadable, {"system", {{"why", std::strerror(errno)}}}, path);
  return {};
}

Result<void> JournalFile::add(std::string_view text) {
  const off_t before = ::lseek(file_, 0, SEEK_END);
  std::size_t written = 0;
  while (written < text.size()) {
    const ssize_t n = ::write(file_, text.data() + written, text.size() - written);
    if (n < 0 && errno == EINTR) continue;
    if (n <= 0) break;
    written += static_cast<std::size_t>(n);
  }
  if (written == text.size() && ::fdatasync(file_) == 0) return {};
  const std::string why = std::strerror(errno);
  // Half a line that cannot be taken back either is what the reader passes over.
  [[maybe_unused]] const bool taken_back = before >= 0 && ::ftruncate(file_, before) == 0;
  return fail(ErrorKind::unreadable, {"system", {{"why", why}}}, path_);
}

}  // namespace dotlane
