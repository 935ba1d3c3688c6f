#include "cli/practice.hpp"

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/calibrate/calibration.hpp"
#include "core/format/files.hpp"
#include "core/project/workshop.hpp"
#include "core/text_scan.hpp"
#include "core/trainer/verdict.hpp"
#include "core/typed_number.hpp"
#include "words/sentences.hpp"
#include "words/usage.hpp"

namespace dotlane::cli {
namespace {

std::vector<std::string> ids_of(const std::string& text) {
  std::vector<std::string> out;
  for (const auto id : split(text, ',')) out.emplace_back(trimmed(id));
  return out;
}

Readings readings_of(const Project& project, const CalibrationOf& of, const std::vector<std::string>& words) {
  Readings out;
  const auto fields = reading_fields(project, of);
  for (const auto& word : words) {
    const auto equals = word.find('=');
    const std::string key = word.substr(0, equals);
    if (equals == std::string::npos)
      refuse({"use-form", {{"option", "--read"}, {"form", usage("KEY=VALUE")}, {"text", word}}});
    const auto field = std::find_if(fields.begin(), fields.end(), [&](const ReadingField& f) { return f.key == key; });
    if (field == fields.end()) {
      std::vector<std::string> known;
      for (const auto& f : fields) known.push_back(f.key);
      refuse({"use-no-reading", {{"key", key}, {"known", listed(known)}}});
    }
    const std::string text = word.substr(equals + 1);
    const auto value = field->length ? length_mm_from(text) : to_number(text);
    if (!value) {
      Figures figures{{"option", "--read " + key}, {"example", "2mm"}, {"text", text}};
      refuse({field->length ? "use-length" : "use-number", std::move(figures)});
    }
    out[key] = *value;
  }
  return out;
}

}  // namespace

int calibrate(Options o, bool json) {
  const auto out = o.value("-o"), tool = o.value("--tool"), others = o.value("--others"), stock = o.value("--stock");
  const auto read = o.values("--read");
  const auto kind_word = o.optional_positional();
  if (!kind_word) {
    o.finish();
    Json list = Json::array();
    Table table("<<");
    for (const Calibration kind : kCalibrations) {
      const std::string title = sentence(title_of(kind)), told = sentence(about(kind));
      list.push_back({{"kind", word(kind)}, {"title", title}, {"about", told}});
      table.row({std::string(word(kind)), title + ". " + told});
    }
    json ? print_json(list) : print(table.text());
    return 0;
  }
  const auto kind = calibration_from(*kind_word);
  if (!kind) {
    std::vector<std::string> known;
    for (const Calibration k : kCalibrations) known.emplace_back(word(k));
    refuse({"use-no-calibration", {{"sheet", *kind_word}, {"known", listed(known)}}});
  }
  Input input = load(o.positional("use-no-project"));
  o.finish();
  const CalibrationOf of =
      need(settled(input.project, {*kind, tool.value_or(""), others ? ids_of(*others) : std::vector<std::string>{},
                                   stock.value_or("")}));
  if (!read.empty()) {
    const std::string& file = given(out, "-o P2.dotlane");
    need(save_project(need(with_readings(std::move(input.project), of, readings_of(input.project, of, read))), file));
    return 0;
  }
  if (out) {
    need(save_project(need(calibration_sheet(input.project, of)), *out));
    return 0;
  }
  Json fields = Json::array();
  Table table("<<");
  table.line(sentence(title_of(*kind)) + ": " + sentence(about(*kind)));
  for (const auto& field : reading_fields(input.project, of)) {
    const std::string told = sentence(field.said);
    fields.push_back({{"key", field.key},
                      {"what", told},
                      {"low", field.low},
                      {"high", field.high},
                      {"unit", field.length ? "mm" : ""}});
    table.row({"  --read " + field.key + "=" + usage(field.length ? "LENGTH" : "NUMBER"), told});
  }
  json ? print_json(
             {{"kind", word(*kind)}, {"tool", of.tool}, {"others", of.others}, {"stock", of.stock}, {"fields", fields}})
       : print(table.text());
  return 0;
}

int exercise(Options o, bool json) {
  const auto out = o.value("-o");
  const std::string what = o.subcommand("exercise", {"list", "open", "check"});
  if (what == "list") {
    o.finish();
    Json list = Json::array();
    Table table("<><");
    for (const auto& e : exercises()) {
      list.push_back({{"id", e.id},
                      {"level", e.level},
                      {"title", sentence(title_of(e))},
                      {"story", sentence(story_of(e))},
                      {"hint", sentence(hint_of(e))}});
      table.row({std::string(e.id), std::to_string(e.level), sentence(title_of(e)) + ". " + sentence(story_of(e))});
    }
    json ? print_json(list) : print(table.text());
    return 0;
  }
  const std::string id = o.positional("use-no-exercise");
  const Exercise* which = find_exercise(id);
  if (!which) refuse({"use-no-such-exercise", {{"exercise", id}}});
  const Lesson lesson = lesson_of(*which);
  if (what == "open") {
    o.finish();
    need(save_project(lesson.start, given(out, "-o P.dotlane")));
    return 0;
  }
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  const Verdict verdict = judge(lesson, input.project);
  Json points = Json::array();
  Table table("<<");
  for (const auto& point : verdict.points) {
    points.push_back({{"code", point.said.code}, {"says", sentence(point.said)}, {"holds", point.holds}});
    table.row({phrase(point.holds ? "holds" : "holds-not"), sentence(point.said)});
  }
  json ? print_json({{"exercise", which->id}, {"passed", verdict.passed()}, {"points", points}}) : print(table.text());
  return verdict.passed() ? 0 : 1;
}

int workshop(Options o, bool) {
  const auto out = o.value("-o"), from = o.value("--from");
  Input input = load(o.positional("use-no-project"));
  o.finish();
  const std::string& source = given(from, "--from P2");
  const std::string& file = given(out, "-o P3.dotlane");
  need(save_project(with_workshop(std::move(input.project), load(source).project), file));
  return 0;
}

}  // namespace dotlane::cli
