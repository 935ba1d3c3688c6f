// Codes and figures become sentences: numbers, units, plurals, what is there only sometimes.
#include "words/sentences.hpp"

#include "core/format/project_json.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::string of(const char* code, Figures figures, LengthUnit unit = LengthUnit::mm) {
  return sentence(Said{code, std::move(figures)}, unit);
}

}  // namespace

TEST_CASE("figures take their places, in the project's unit") {
  const Figures figures{{"piece", std::string("Pier")}, {"past", 3.14159}};
  CHECK(of("off-sheet", figures) == "Pier reaches 3.1 mm past its sheet; move it or use a larger sheet.");
  CHECK(of("off-sheet", figures, LengthUnit::inch) ==
        "Pier reaches 0.124 in past its sheet; move it or use a larger sheet.");
  CHECK(of("fix-inset", {{"inset", 0.15}}) == "Inset 0.15 mm");
  CHECK(of("fix-inset", {{"inset", 25.4}}, LengthUnit::inch) == "Inset 1 in");
  const Figures tiny{{"piece", std::string("Foam")}, {"contours", 2.0}, {"limit", 645.16}, {"least", 64.516}};
  CHECK(of("tiny-bits", tiny).find("smaller than 645.2 mm² (the smallest 64.52 mm²)") != std::string::npos);
  CHECK(of("tiny-bits", tiny, LengthUnit::inch).find("smaller than 1 in² (the smallest 0.1 in²)") != std::string::npos);
}

TEST_CASE("words fit their counts") {
  CHECK(of("tool-missing", {{"lines", 1.0}}).find("1 line has no tool") == 0);
  CHECK(of("tool-missing", {{"lines", 4.0}}).find("4 lines have no tool") == 0);
  Figures slivers{{"piece", std::string("Net")}, {"parts", 1.0}, {"limit", 0.8}};
  CHECK(of("slivers", slivers) ==
        "Net: 1 part is nowhere wider than 0.8 mm and would tear. Join it to its neighbour, or drop it.");
  slivers["parts"] = 3.0;
  CHECK(of("slivers", slivers) ==
        "Net: 3 parts are nowhere wider than 0.8 mm and would tear. Join them to their neighbours, or drop them.");
}

TEST_CASE("groups stand only where their figures are there") {
  Figures figures{{"piece", std::string("Sign")}, {"shapes", 1.0}, {"x", 12.34}, {"y", 5.0}};
  CHECK(of("fill-empty", figures).find("Sign: 1 shape, the first at 12.3 × 5 mm on the mat, gets no stroke") == 0);
  figures = {{"piece", std::string("Sign")}, {"shapes", 7.0}, {"letters", std::string("“a”, “b”")}};
  CHECK(of("fill-empty", figures).find("Sign: 7 shapes (“a”, “b”) get no stroke") == 0);
  figures["more"] = 2.0;
  CHECK(of("fill-empty", figures).find("Sign: 7 shapes (“a”, “b” and 2 more) get no stroke") == 0);
  CHECK(of("nothing-drawn", {}) == "The file holds no lines that a tool could follow.");
  CHECK(of("nothing-drawn", {{"piece", std::string("Buoy")}}).find("Buoy: The file") == 0);
}

TEST_CASE("roles are listed with their counts, steps by their names") {
  CHECK(of("role-guessed", {{"lines", 6.0}, {"draw", 5.0}, {"cut", 1.0}}) ==
        "The roles of 6 lines were guessed (1 cut, 5 draw) and nobody has confirmed them.");
  Finding trouble{
      "recipe-trouble", Severity::warning, {{"piece", std::string("Quay")}, {"step", std::string("close-gaps")}}};
  trouble.because = {{"inputs-gone"}, {"ring-hole", {{"most", 30.0}}}};
  CHECK(
      sentence(trouble) ==
      "Quay, close gaps: A piece it works with is gone. The hole is as large as the ring; make it smaller than 30 mm.");
  trouble.figures.erase("step");
  CHECK(sentence(trouble).find("Quay: A piece") == 0);
}

TEST_CASE("what has no sentence, or lacks a figure, is seen") {
  CHECK(of("never-heard-of", {}) == "never-heard-of");
  CHECK(of("off-sheet", {{"past", 1.0}}).find("? reaches 1 mm") == 0);
}

TEST_CASE("notes are kept as codes and figures, and the words of older files as they are") {
  const auto art =
      read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg" viewBox="0 0 96 96"><rect width="48" height="48"/>
    <text><textPath>Lamp oil</textPath></text></svg>)",
               "jug.svg");
  REQUIRE(art);
  const Project p = add_artwork(new_project("jug"), *art, "jug.svg");
  const std::string bytes = to_json(p);
  CHECK(bytes.find("\"message\"") == std::string::npos);
  CHECK(bytes.find("\"per-inch\"") != std::string::npos);
  const auto again = project_from_json(bytes, "jug");
  REQUIRE(again);
  CHECK(*again == p);
  const Finding* text = nullptr;
  const Derived d = derived(*again);
  for (const auto& f : d.findings) text = f.code == "text-left-out" ? &f : text;
  REQUIRE(text);
  CHECK(sentence(*text).find("Jug: 1 text was left out (\"Lamp oil\")") == 0);
  const Finding* size = finding(d, "size-assumed");
  REQUIRE(size);
  CHECK(sentence(*size).find("At 96 per inch the artwork is 12.7 mm x 12.7 mm") != std::string::npos);
  CHECK(label(size->fixes.back()) == "72 per inch: 16.9 mm x 16.9 mm");

  // Version 1 files of before hold sentences.
  std::string old = bytes;
  const auto at = old.find("\"figures\"");
  const auto end = old.find('}', at);
  old.replace(at, end + 1 - at, "\"message\": \"Told long ago.\"");
  const auto aged = project_from_json(old, "aged");
  REQUIRE(aged);
  CHECK(sentence(aged->pieces.front()->source.notes.front()) == "Told long ago.");
  CHECK(to_json(*aged).find("Told long ago.") != std::string::npos);
  CHECK(*project_from_json(to_json(*aged), "aged") == *aged);
}

TEST_CASE("no finding of the demos or of hurt projects lacks a word") {
  for (const char* body :
       {R"(<rect id="a" x="-20" y="20" width="400" height="400"/>)", R"(<path id="a" d="M10 10 h50 v50 h-49.2"/>)",
        R"(<rect id="a" x="20" y="20" width="0.5" height="0.5"/><rect id="b" x="30" y="30" width="60" height="0.2"/>)",
        R"(<path id="a" d="M20 20 h40 v40 h-40 Z M20 20 h40 v40 h-40 Z"/>)"}) {
    const Derived d = derived(project_of(body));
    for (const LengthUnit unit : {LengthUnit::mm, LengthUnit::inch}) {
      for (const auto& f : d.findings) {
        INFO(f.code << ": " << sentence(f, unit));
        CHECK(sentence(f, unit).find_first_of("{}[]?|") >= sentence(f, unit).size() - 1);
        CHECK(sentence(f, unit).find(' ') != std::string::npos);
        for (const auto& fix : f.fixes) CHECK(label(fix, unit).find_first_of("{}[]?|-") == std::string::npos);
      }
    }
  }
}
