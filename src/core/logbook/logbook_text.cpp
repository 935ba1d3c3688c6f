#include "core/logbook/logbook_text.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <nlohmann/json.hpp>

namespace dotlane {
namespace {

using LogJson = nlohmann::ordered_json;

LogJson from_pass(const LoggedPass& p) {
  return {{"pass", p.index},
          {"role", word(p.role)},
          {"tool", p.tool},
          {"tool_name", p.tool_name},
          {"tool_kind", p.tool_kind},
          {"stock", p.stock},
          {"stock_name", p.stock_name},
          {"thickness_mm", p.thickness_mm},
          {"grammage_gsm", p.grammage_gsm},
          {"holder", p.holder},
          {"force_gf", p.force_gf},
          {"speed_mm_s", p.speed_mm_s},
          {"depth", p.depth},
          {"repeats", p.repeats},
          {"planned_s", p.planned_s},
          {"real_s", p.real_s},
          {"pace", p.pace},
          {"lifts", p.lifts},
          {"metres", p.metres},
          {"came_out", word(p.came_out)}};
}

LogJson from_pause(const LoggedPause& p) {
  return {{"number", p.number}, {"planned_s", p.planned_s}, {"real_s", p.real_s}};
}

LogJson from_sheet(const LoggedSheet& s) {
  return {{"sheet", s.sheet},         {"stock", s.stock}, {"width_mm", s.width_mm},
          {"height_mm", s.height_mm}, {"shelf", s.shelf}, {"scrap", s.scrap}};
}

/// Without passes, pauses and sheets.
LogJson from_run(const LoggedRun& r) {
  return {{"job", r.job},
          {"begun", r.begun},
          {"project", r.project},
          {"file", r.file},
          {"project_key", r.project_key},
          {"machine", r.machine},
          {"rehearsed", r.rehearsed},
          {"test_cut", r.test_cut},
          {"outcome", word(r.outcome)},
          {"parts", r.parts},
          {"planned_s", r.planned_s},
          {"real_s", r.real_s},
          {"strokes", r.strokes},
          {"missing", r.missing},
          {"farthest_mm", r.farthest_mm},
          {"weeding", word(r.weeding)},
          {"note", r.note},
          {"photos", r.photos}};
}

/// What is wrong with a run or a row, thrown where it is read.
struct Wrong : std::exception {
  explicit Wrong(Said what) : said(std::move(what)) {}
  Said said;
};
[[noreturn]] void wrong(Said said) { throw Wrong(std::move(said)); }
[[noreturn]] void wrong(const char* code, const std::string& word) { wrong({code, {{"word", word}}}); }
/// The same of what the reader of JSON throws.
Said said_by(const std::exception& e) {
  const auto* known = dynamic_cast<const Wrong*>(&e);
  return known ? known->said : Said{"json", {{"why", e.what()}}};
}

Outcome outcome_named(const std::string& text) {
  for (const Outcome o : {Outcome::running, Outcome::done, Outcome::cancelled, Outcome::failed}) {
    if (text == word(o)) return o;
  }
  wrong("log-no-outcome", text);
}

/// Numbers and texts as they must be; what is missing is as it is when nobody says it.
class Reading {
 public:
  explicit Reading(const LogJson& json) : json_(json) {
    if (!json.is_object()) wrong({"want-object"});
  }
  [[nodiscard]] std::string text(const char* key) const {
    const auto at = json_.find(key);
    if (at == json_.end()) return {};
    if (!at->is_string()) wrong("field-is-text", key);
    return at->get<std::string>();
  }
  [[nodiscard]] double number(const char* key) const {
    const auto at = json_.find(key);
    if (at == json_.end()) return 0;
    if (!at->is_number()) wrong("field-is-number", key);
    return at->get<double>();
  }
  [[nodiscard]] int count(const char* key) const {
    const double v = number(key);
    if (v != std::floor(v) || std::abs(v) > 1e9) wrong("field-is-whole", key);
    return static_cast<int>(v);
  }
  [[nodiscard]] bool flag(const char* key) const {
    const auto at = json_.find(key);
    if (at == json_.end()) return false;
    if (!at->is_boolean()) wrong("field-is-flag", key);
    return at->get<bool>();
  }

 private:
  const LogJson& json_;
};

LoggedPass to_pass(const LogJson& json) {
  const Reading r(json);
  LoggedPass p;
  p.index = r.count("pass");
  const auto role = role_from(r.text("role"));
  if (!role) wrong("log-no-role", r.text("role"));
  p.role = *role;
  p.tool = r.text("tool"), p.tool_name = r.text("tool_name"), p.tool_kind = r.text("tool_kind");
  p.stock = r.text("stock"), p.stock_name = r.text("stock_name");
  p.thickness_mm = r.number("thickness_mm"), p.grammage_gsm = r.number("grammage_gsm");
  p.holder = r.count("holder");
  p.force_gf = r.number("force_gf"), p.speed_mm_s = r.number("speed_mm_s"), p.depth = r.number("depth");
  p.repeats = r.count("repeats");
  p.planned_s = r.number("planned_s"), p.real_s = r.number("real_s");
  if (json.contains("pace")) p.pace = r.number("pace");
  p.lifts = r.count("lifts"), p.metres = r.number("metres");
  const auto came_out = came_out_from(r.text("came_out"));
  if (!came_out) wrong("log-no-came-out", r.text("came_out"));
  p.came_out = *came_out;
  return p;
}

LoggedPause to_pause(const LogJson& json) {
  const Reading r(json);
  return {r.count("number"), r.number("planned_s"), r.number("real_s")};
}

LoggedSheet to_sheet(const LogJson& json) {
  const Reading r(json);
  return {r.count("sheet"),      r.text("stock"),  r.number("width_mm"),
          r.number("height_mm"), r.count("shelf"), r.flag("scrap")};
}

LoggedRun to_run(const LogJson& json) {
  const Reading r(json);
  LoggedRun run;
  run.job = r.text("job");
  if (run.job.empty()) wrong({"log-no-job"});
  run.begun = r.text("begun"), run.project = r.text("project"), run.file = r.text("file");
  run.project_key = r.text("project_key"), run.machine = r.text("machine");
  run.rehearsed = r.flag("rehearsed"), run.test_cut = r.flag("test_cut");
  run.outcome = outcome_named(r.text("outcome"));
  run.parts = r.count("parts");
  run.planned_s = r.number("planned_s"), run.real_s = r.number("real_s");
  run.strokes = r.count("strokes"), run.missing = r.count("missing");
  run.farthest_mm = r.number("farthest_mm");
  const auto weeding = weeding_from(r.text("weeding"));
  if (!weeding) wrong("log-no-weeding", r.text("weeding"));
  run.weeding = *weeding;
  run.note = r.text("note");
  const auto each = [&](const char* key, const auto& take) {
    const auto list = json.find(key);
    if (list == json.end()) return;
    if (!list->is_array()) wrong("field-is-list", key);
    for (const auto& item : *list) take(item);
  };
  each("photos", [&](const LogJson& j) { run.photos.push_back(j.get<std::string>()); });
  each("passes", [&](const LogJson& j) { run.passes.push_back(to_pass(j)); });
  each("pauses", [&](const LogJson& j) { run.pauses.push_back(to_pause(j)); });
  each("sheets", [&](const LogJson& j) { run.sheets.push_back(to_sheet(j)); });
  return run;
}

std::string dumped(const LogJson& json) { return json.dump(-1, ' ', false, LogJson::error_handler_t::replace); }

// --- CSV

std::string cell_of(const LogJson& value) {
  if (!value.is_string() && !value.is_array()) return dumped(value);
  // Lists are texts that hold their JSON.
  const std::string text = value.is_string() ? value.get<std::string>() : dumped(value);
  std::string out = "\"";
  for (const char c : text) out += c == '"' ? std::string("\"\"") : std::string(1, c);
  return out + "\"";
}

struct Cell {
  std::string text;
  bool quoted = false;
};

/// The rows of a CSV file.
std::vector<std::vector<Cell>> cells_of(std::string_view text) {
  std::vector<std::vector<Cell>> rows;
  std::vector<Cell> row;
  std::size_t i = 0;
  bool any = false;
  while (i < text.size()) {
    Cell cell;
    any = true;
    if (text[i] == '"') {
      cell.quoted = true;
      for (++i;; ++i) {
        if (i >= text.size()) wrong({"log-quote"});
        if (text[i] != '"') {
          cell.text += text[i];
        } else if (i + 1 < text.size() && text[i + 1] == '"') {
          cell.text += '"', ++i;
        } else {
          ++i;
          break;
        }
      }
    } else {
      while (i < text.size() && text[i] != ',' && text[i] != '\n' && text[i] != '\r') cell.text += text[i++];
    }
    row.push_back(std::move(cell));
    if (i < text.size() && text[i] == ',') {
      ++i;
      if (i >= text.size() || text[i] == '\n' || text[i] == '\r') row.push_back({});
      if (i < text.size() && text[i] != '\n' && text[i] != '\r') continue;
    }
    while (i < text.size() && (text[i] == '\r' || text[i] == '\n')) {
      if (text[i++] == '\n') break;
    }
    rows.push_back(std::move(row));
    row.clear();
    any = false;
  }
  if (any && !row.empty()) rows.push_back(std::move(row));
  return rows;
}

}  // namespace

std::string json_line(const LoggedRun& run) {
  LogJson json = from_run(run);
  json["passes"] = LogJson::array(), json["pauses"] = LogJson::array(), json["sheets"] = LogJson::array();
  for (const auto& p : run.passes) json["passes"].push_back(from_pass(p));
  for (const auto& p : run.pauses) json["pauses"].push_back(from_pause(p));
  for (const auto& s : run.sheets) json["sheets"].push_back(from_sheet(s));
  return dumped(json);
}

Result<LoggedRun> run_from_json(std::string_view line) {
  try {
    return to_run(LogJson::parse(line));
  } catch (const std::exception& e) {
    return fail(ErrorKind::malformed, said_by(e));
  }
}

Result<std::string> export_json(const Logbook& logbook) {
  auto all = logbook.runs();
  if (!all) return tl::unexpected<Error>(all.error());
  std::reverse(all->begin(), all->end());
  std::string projects, runs;
  std::map<std::string, bool> told;
  for (const auto& run : *all) {
    if (!std::exchange(told[run.project_key], true)) {
      const auto project = logbook.project_of(run.id);
      if (!project) return project;
      projects += dumped({{"project_key", run.project_key}, {"project", *project}}) + "\n";
    }
    runs += json_line(run) + "\n";
  }
  return projects + runs;
}

Result<Imported> import_json(Logbook& logbook, std::string_view text, const std::string& file_name,
                             const std::function<void(std::size_t)>& each) {
  std::map<std::string, std::string> projects;
  Imported out;
  std::size_t from = 0, number = 0;
  while (from < text.size()) {
    const std::size_t end = std::min(text.find('\n', from), text.size());
    const std::string_view line = text.substr(from, end - from);
    from = end + 1;
    ++number;
    if (line.empty()) continue;
    const auto bad = [&](Said said) {
      return fail(ErrorKind::malformed, std::move(said), file_name + ":" + std::to_string(number));
    };
    try {
      const LogJson json = LogJson::parse(line);
      if (!json.is_object()) return bad({"want-object"});
      if (!json.contains("job")) {
        const Reading r(json);
        projects[r.text("project_key")] = r.text("project");
        continue;
      }
      const LoggedRun run = to_run(json);
      const auto project = projects.find(run.project_key);
      const auto kept =
          logbook.keep(run, project == projects.end() ? std::string_view() : std::string_view(project->second));
      if (!kept) return tl::unexpected<Error>(kept.error());
    } catch (const std::exception& e) {
      return bad(said_by(e));
    }
    ++out.runs;
    if (each) each(out.runs);
  }
  return out;
}

std::string to_csv(const std::vector<LoggedRun>& runs) {
  // Every column once, in the order in which the kinds of rows have them.
  std::vector<std::string> columns{"row", "job"};
  const auto note = [&](const LogJson& json) {
    for (const auto& item : json.items()) {
      if (std::find(columns.begin(), columns.end(), item.key()) == columns.end()) columns.push_back(item.key());
    }
  };
  note(from_run({})), note(from_pass({})), note(from_pause({})), note(from_sheet({}));
  std::string out;
  for (const auto& column : columns) out += (out.empty() ? "" : ",") + ("\"" + column + "\"");
  out += "\r\n";
  const auto add = [&](const char* kind, const std::string& job, const LogJson& json) {
    out += std::string("\"") + kind + "\"," + cell_of(job);
    for (std::size_t c = 2; c < columns.size(); ++c) {
      out += ',';
      if (const auto at = json.find(columns[c]); at != json.end()) out += cell_of(*at);
    }
    out += "\r\n";
  };
  for (const auto& run : runs) {
    add("run", run.job, from_run(run));
    for (const auto& p : run.passes) add("pass", run.job, from_pass(p));
    for (const auto& p : run.pauses) add("pause", run.job, from_pause(p));
    for (const auto& s : run.sheets) add("sheet", run.job, from_sheet(s));
  }
  return out;
}

Result<std::vector<LoggedRun>> from_csv(std::string_view text, const std::string& file_name) {
  std::vector<LoggedRun> out;
  std::size_t number = 0;
  try {
    const auto rows = cells_of(text);
    if (rows.empty()) return out;
    for (const auto& row : rows) {
      if (++number == 1) continue;
      LogJson json = LogJson::object();
      std::string kind;
      for (std::size_t c = 0; c < row.size(); ++c) {
        if (c >= rows.front().size()) wrong({"log-cells"});
        const std::string& column = rows.front()[c].text;
        if (column == "row") {
          kind = row[c].text;
        } else if (!row[c].quoted && row[c].text.empty()) {
          continue;
        } else {
          json[column] = row[c].quoted ? column == "photos" ? LogJson::parse(row[c].text) : LogJson(row[c].text)
                                       : LogJson::parse(row[c].text);
        }
      }
      if (kind == "run") {
        out.push_back(to_run(json));
        continue;
      }
      if (out.empty() || out.back().job != json.value("job", std::string())) wrong({"log-follows-none"});
      if (kind == "pass") {
        out.back().passes.push_back(to_pass(json));
      } else if (kind == "pause") {
        out.back().pauses.push_back(to_pause(json));
      } else if (kind == "sheet") {
        out.back().sheets.push_back(to_sheet(json));
      } else {
        wrong("log-no-kind", kind);
      }
    }
  } catch (const std::exception& e) {
    return fail(ErrorKind::malformed, said_by(e), file_name + ":" + std::to_string(number));
  }
  return out;
}

}  // namespace dotlane
