// Lettering after a keystroke: 500 letters set, joined and drawn anew, beside FreeType's decomposition of the same
// text.
#include <benchmark/benchmark.h>
#include <ft2build.h>
#include FT_FREETYPE_H
#include FT_OUTLINE_H

#include "core/project/presets.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text/typefaces.hpp"

namespace dotlane {
namespace {

/// 500 letters in ten lines.
std::string page(char last) {
  const std::string words = "lanterns along the harbour wall and boats at rest ";
  std::string out;
  for (int line = 0; line < 12; ++line) out += (line ? "\n" : "") + words.substr(0, 49);
  return out + last;
}

Values values_of(const std::string& text) {
  return {{"text", text}, {"font", std::string("Dancing Script Bold")}, {"size", 12.0}};
}

Project joined_page() {
  int id = 0;
  Project p = *add_shape(new_project("bench"), "lettering", values_of(page('s')), &id);
  Step join;
  join.kind = "join";
  return *add_step(std::move(p), id, join);
}

void BM_KeystrokeIn500Letters(benchmark::State& state) {
  const Project before = joined_page();
  DrawingCache cache;
  (void)evaluate(before, cache);
  char last = 'a';
  for (auto _ : state) {
    last = last == 'z' ? 'a' : static_cast<char>(last + 1);
    const Project after = *set_source_value(before, before.pieces[0]->id, "text", page(last));
    benchmark::DoNotOptimize(evaluate(after, cache));
  }
}
BENCHMARK(BM_KeystrokeIn500Letters)->Unit(benchmark::kMillisecond);

void BM_SetOf500Letters(benchmark::State& state) {
  const Values values = values_of(page('s'));
  for (auto _ : state) benchmark::DoNotOptimize(set_lettering(values));
}
BENCHMARK(BM_SetOf500Letters)->Unit(benchmark::kMillisecond);

void BM_PairsOf500Letters(benchmark::State& state) {
  const Lettering lettering = set_lettering(values_of(page('s')));
  for (auto _ : state) {
    const auto regions = letter_regions(lettering);
    benchmark::DoNotOptimize(pair_fits(lettering, regions, {}));
  }
}
BENCHMARK(BM_PairsOf500Letters)->Unit(benchmark::kMillisecond);

/// The same letters loaded and decomposed one by one by FreeType: the least that their outlines cost.
void BM_FreeTypeDecomposes500Letters(benchmark::State& state) {
  std::string file;
  for (const auto& t : shipped_typefaces()) {
    if (t.name == "Dancing Script Bold") file = t.file;
  }
  FT_Library library;
  FT_Face face;
  FT_Init_FreeType(&library);
  FT_New_Face(library, file.c_str(), 0, &face);
  FT_Set_Pixel_Sizes(face, face->units_per_EM, face->units_per_EM);
  const std::string text = page('s');
  FT_Outline_Funcs functions{};
  static long segments;
  segments = 0;
  functions.move_to = [](const FT_Vector*, void*) { return 0; };
  functions.line_to = [](const FT_Vector*, void*) { return static_cast<int>(++segments & 0); };
  functions.conic_to = [](const FT_Vector*, const FT_Vector*, void*) { return static_cast<int>(++segments & 0); };
  functions.cubic_to = [](const FT_Vector*, const FT_Vector*, const FT_Vector*, void*) {
    return static_cast<int>(++segments & 0);
  };
  for (auto _ : state) {
    for (const char c : text) {
      if (FT_Load_Char(face, static_cast<FT_ULong>(c), FT_LOAD_NO_HINTING | FT_LOAD_NO_BITMAP) == 0)
        FT_Outline_Decompose(&face->glyph->outline, &functions, nullptr);
    }
  }
  FT_Done_Face(face);
  FT_Done_FreeType(library);
}
BENCHMARK(BM_FreeTypeDecomposes500Letters)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
