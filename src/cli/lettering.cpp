#include "cli/lettering.hpp"

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "cli/shape.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/presets.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text/shaping.hpp"
#include "core/text/typefaces.hpp"
#include "core/text/unicode.hpp"
#include "core/text_scan.hpp"
#include "core/typed_number.hpp"
#include "words/language.hpp"
#include "words/usage.hpp"

namespace dotlane::cli {
namespace {

double round6(double v) { return std::round(v * 1e6) / 1e6; }

/// The short ways to say what lettering is asked for most.
void take_short_forms(Options& o, Values& values) {
  for (const char* by : {"cap-height", "line-height", "width"}) {
    if (const auto text = o.value(std::string("--") + by)) {
      const auto mm = length_mm_from(*text);
      if (!mm || *mm < 0.2 || *mm > 3000)
        refuse({"use-length-from",
                {{"option", std::string("--") + by}, {"least", "0.2mm"}, {"most", "3000mm"}, {"text", *text}}});
      values["size-by"] = std::string(by);
      values["size"] = *mm;
    }
  }
  std::string features;
  for (const auto& f : o.values("--feature")) {
    if (!is_feature(f)) refuse({"use-feature", {{"text", f}}});
    features += (features.empty() ? "" : ", ") + f;
  }
  if (!features.empty()) values["features"] = features;
  if (const auto text = o.value("--arc")) {
    const auto mm = length_mm_from(*text);
    if (!mm || std::abs(*mm) < 1 || std::abs(*mm) > 5000) refuse({"use-arc", {{"text", *text}}});
    values["way"] = std::string(*mm > 0 ? "outside" : "inside");
    values["radius"] = std::abs(*mm);
    values.try_emplace("align", std::string("centre"));
  }
}

Json letters_report(const Lettering& lettering) {
  Json letters = Json::array();
  for (const auto& letter : lettering.letters) {
    Json forms = Json::array();
    for (const unsigned form : letter.forms) forms.push_back(lettering.face->glyph_name(form));
    letters.push_back(
        {{"text", utf8_of(std::u32string_view(lettering.text).substr(letter.first, letter.last - letter.first))},
         {"first", letter.first},
         {"glyphs", forms},
         {"at_mm", round6(letter.at)},
         {"advance_mm", round6(letter.advance)}});
  }
  return letters;
}

Json glyphs_report(const Lettering& lettering, const Values& values) {
  const Reading take(*find_kind(shape_kinds(), "lettering"), values);
  TextOptions options;
  options.kerning = take.flag("kerning");
  const std::string features = take.text("features");
  for (const auto part : split(features, ',')) options.features.emplace_back(trimmed(part));
  Json glyphs = Json::array();
  for (const auto& line : shaped_lines(*lettering.face, lettering.text, options)) {
    for (const auto& g : line.glyphs)
      glyphs.push_back({{"g", lettering.face->glyph_name(g.glyph)},
                        {"cl", g.cluster},
                        {"advance_em", round6(g.advance)},
                        {"dx_em", round6(g.offset.x)},
                        {"dy_em", round6(-g.offset.y)}});
  }
  return glyphs;
}

}  // namespace

int shape_text(Options o, bool json) {
  const KindSpec& spec = *find_kind(shape_kinds(), "lettering");
  Values values = take_values(o, spec);
  take_short_forms(o, values);
  const bool join = o.flag("--join"), close_up = o.flag("--close-up");
  const auto out = o.value("-o");
  o.finish();
  if (!values.contains("text")) refuse({"use-missing", {{"option", usage("--text WORDS")}}});
  const std::string& file = given(out, "-o OUT.svg");
  const Reading take(spec, values);
  need(find_face(take.text("font"), axes_from(take.text("axes"))));
  Project project = new_project("Lettering");
  const FitLimits limits{project.checks.sliver_mm, project.checks.tiny_mm2};
  if (close_up) values = need(closed_up(values, limits));
  int id = 0;
  project = need(add_shape(std::move(project), "lettering", values, &id));
  if (join) {
    Step step;
    step.kind = "join";
    project = need(add_step(std::move(project), id, step));
  }
  Json more = Json::object();
  const Lettering lettering = set_lettering(values);
  more["cap_height_mm"] = round6(lettering.cap_height);
  more["letters"] = letters_report(lettering);
  more["glyphs"] = glyphs_report(lettering, values);
  Json apart = Json::array(), closed = Json::array();
  if (!lettering.strokes) {
    for (const auto& fit : pair_fits(lettering, letter_regions(lettering), limits)) {
      if (!fit.touches)
        apart.push_back({{"left", lettering.letters[fit.pair.left].first},
                         {"right", lettering.letters[fit.pair.right].first},
                         {"gap_mm", round6(fit.gap)}});
      if (fit.closed)
        closed.push_back({{"letter", lettering.letters[fit.closed->letter].first},
                          {"was_mm2", round6(fit.closed->was_mm2)},
                          {"left_mm2", round6(fit.closed->left_mm2)}});
    }
  }
  more["apart"] = apart;
  more["counters_closed"] = closed;
  more["tracking_mm"] = round6(take.number("tracking"));
  return write_new(std::move(project), id, file, json, more);
}

int fonts(Options o, bool json) {
  const auto name = o.optional_positional();
  o.finish();
  if (!name) {
    Json list = Json::array();
    std::string text;
    for (const auto& t : typefaces()) {
      const auto face = find_face(t.shipped || t.index != 0 ? t.name : t.file);
      if (!face) continue;  // listed by the system, but not whole
      const auto& about = (*face)->about();
      list.push_back({{"name", t.name},
                      {"file", t.file},
                      {"index", t.index},
                      {"shipped", t.shipped},
                      {"single_stroke", about.single_stroke},
                      {"outlines_allowed", about.outlines_allowed},
                      {"features", about.features}});
      Figures figures{{"name", t.name}};
      if (t.shipped) figures["about"] = in_words(t.summary);
      text += say(about.outlines_allowed ? "font" : "font-reserved", figures);
    }
    json ? print_json(Json{{"fonts", list}}) : print(text);
    return 0;
  }
  const auto face = need(find_face(*name));
  const auto& about = face->about();
  Json axes = Json::array();
  for (const auto& a : about.axes)
    axes.push_back({{"tag", a.tag}, {"name", a.name}, {"low", a.low}, {"standard", a.standard}, {"high", a.high}});
  std::map<unsigned, std::string> characters;
  for (const auto& [c, id] : face->characters()) characters[id] += utf8_of({&c, 1});
  Json glyphs = Json::array();
  const unsigned first = about.single_stroke ? 1 : 0;
  for (unsigned id = first; id < about.glyphs + first; ++id) {
    const Glyph& glyph = face->glyph(id);
    const Box box = bounds_of(glyph.path);
    Json entry{{"name", face->glyph_name(id)},
               {"characters", characters.contains(id) ? characters[id] : ""},
               {"advance_em", round6(glyph.advance)},
               {"contours", glyph.path.contours.size()}};
    if (!box.empty()) entry["bounds_em"] = {round6(box.x0), round6(-box.y1), round6(box.x1), round6(-box.y0)};
    if (glyph.broken) entry["broken"] = true;
    glyphs.push_back(std::move(entry));
  }
  const Json report{{"name", about.name},
                    {"single_stroke", about.single_stroke},
                    {"outlines_allowed", about.outlines_allowed},
                    {"cap_height_em", round6(about.cap_height)},
                    {"line_distance_em", round6(about.line_distance)},
                    {"features", about.features},
                    {"axes", axes},
                    {"glyphs", glyphs}};
  if (json) {
    print_json(report);
  } else {
    std::string features;
    for (const auto& f : about.features) features += (features.empty() ? "" : " ") + f;
    Table table("<<");
    table.line(about.name);
    table.row({"  " + phrase("column-letterforms"), std::to_string(about.glyphs)});
    table.row({"  " + phrase("column-features"), features});
    table.row({"  " + phrase("column-capitals"), number_text(about.cap_height, 3) + " em"});
    print(table.text());
  }
  return 0;
}

}  // namespace dotlane::cli
