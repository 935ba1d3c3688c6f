#include "cli/practice.hpp"

#include "cli/input.hpp"
#include "core/calibrate/calibration.hpp"
#include "core/format/files.hpp"
#include "core/project/workshop.hpp"
#include "core/text_scan.hpp"
#include "core/trainer/verdict.hpp"
#include "core/typed_number.hpp"
#include "words/sentences.hpp"

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
    if (equals == std::string::npos) refuse("--read \"" + word + "\" is not of the form KEY=VALUE");
    const auto field = std::find_if(fields.begin(), fields.end(), [&](const ReadingField& f) { return f.key == key; });
    if (field == fields.end()) {
      std::string known;
      for (const auto& f : fields) known += (known.empty() ? "" : ", ") + f.key;
      refuse("there is nothing called \"" + key + "\" to read off that sheet; there is " + known);
    }
    const std::string text = word.substr(equals + 1);
    const auto value = field->length ? length_mm_from(text) : to_number(text);
    if (!value)
      refuse("--read " + key + " wants a " + (field->length ? "length" : "number") + ", not \"" + text + "\"");
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
    std::string text;
    for (const Calibration kind : kCalibrations) {
      const std::string title = sentence(title_of(kind)), told = sentence(about(kind));
      list.push_back({{"kind", word(kind)}, {"title", title}, {"about", told}});
      text += std::string(word(kind)) + std::string(14 - word(kind).size(), ' ') + title + ". " + told + "\n";
    }
    json ? print_json(list) : print(text);
    return 0;
  }
  const auto kind = calibration_from(*kind_word);
  if (!kind) {
    std::string known;
    for (const Calibration k : kCalibrations) known += (known.empty() ? "" : ", ") + std::string(word(k));
    refuse("there is no calibration sheet \"" + *kind_word + "\"; there are " + known);
  }
  Input input = load(o.positional("the project"));
  o.finish();
  const CalibrationOf of =
      need(settled(input.project, {*kind, tool.value_or(""), others ? ids_of(*others) : std::vector<std::string>{},
                                   stock.value_or("")}));
  if (!read.empty()) {
    if (!out) refuse("-o P.dotlane is missing");
    need(save_project(need(with_readings(std::move(input.project), of, readings_of(input.project, of, read))), *out));
    return 0;
  }
  if (out) {
    need(save_project(need(calibration_sheet(input.project, of)), *out));
    return 0;
  }
  Json fields = Json::array();
  std::string text = sentence(title_of(*kind)) + ": " + sentence(about(*kind)) + "\n";
  for (const auto& field : reading_fields(input.project, of)) {
    const std::string told = sentence(field.said);
    fields.push_back({{"key", field.key},
                      {"what", told},
                      {"low", field.low},
                      {"high", field.high},
                      {"unit", field.length ? "mm" : ""}});
    text += "  --read " + field.key + "=" + (field.length ? "LENGTH" : "NUMBER") + "   " + told + "\n";
  }
  json ? print_json(
             {{"kind", word(*kind)}, {"tool", of.tool}, {"others", of.others}, {"stock", of.stock}, {"fields", fields}})
       : print(text);
  return 0;
}

int exercise(Options o, bool json) {
  const auto out = o.value("-o");
  const std::string what = o.positional("list, open or check");
  if (what == "list") {
    o.finish();
    Json list = Json::array();
    std::string text;
    for (const auto& e : exercises()) {
      list.push_back({{"id", e.id},
                      {"level", e.level},
                      {"title", sentence(title_of(e))},
                      {"story", sentence(story_of(e))},
                      {"hint", sentence(hint_of(e))}});
      text += std::string(e.id) + std::string(20 - e.id.size(), ' ') + std::to_string(e.level) + "  " +
              sentence(title_of(e)) + ". " + sentence(story_of(e)) + "\n";
    }
    json ? print_json(list) : print(text);
    return 0;
  }
  if (what != "open" && what != "check") refuse("exercise takes list, open or check, not \"" + what + "\"");
  const std::string id = o.positional("the exercise");
  const Exercise* which = find_exercise(id);
  if (!which) refuse("there is no exercise \"" + id + "\"; try exercise list");
  const Lesson lesson = lesson_of(*which);
  if (what == "open") {
    o.finish();
    if (!out) refuse("-o P.dotlane is missing");
    need(save_project(lesson.start, *out));
    return 0;
  }
  const Input input = load(o.positional("the project"));
  o.finish();
  const Verdict verdict = judge(lesson, input.project);
  Json points = Json::array();
  std::string text;
  for (const auto& point : verdict.points) {
    points.push_back({{"code", point.said.code}, {"says", sentence(point.said)}, {"holds", point.holds}});
    text += std::string(point.holds ? "yes  " : "NO   ") + sentence(point.said) + "\n";
  }
  json ? print_json({{"exercise", which->id}, {"passed", verdict.passed()}, {"points", points}}) : print(text);
  return verdict.passed() ? 0 : 1;
}

int workshop(Options o, bool) {
  const auto out = o.value("-o"), from = o.value("--from");
  Input input = load(o.positional("the project"));
  o.finish();
  if (!from) refuse("--from P.dotlane is missing: whose tools, stocks and machine are taken");
  if (!out) refuse("-o P.dotlane is missing");
  need(save_project(with_workshop(std::move(input.project), load(*from).project), *out));
  return 0;
}

}  // namespace dotlane::cli
