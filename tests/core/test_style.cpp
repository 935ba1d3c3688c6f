#include <catch2/catch.hpp>

#include "core/color_space.hpp"
#include "core/format/svg_style.hpp"
#include "core/text_scan.hpp"
#include "fixtures.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

const PaintServer kNoServer = [](std::string_view) { return std::nullopt; };

std::string value(const Declarations& all, const std::string& name) {
  std::string out;
  for (const auto& [n, v] : all) {
    if (n == name) out = v;
  }
  return out;
}

}  // namespace

TEST_CASE("colours are read in every way files write them") {
  CHECK(parse_color("#1f6f78") == Color{0x1f, 0x6f, 0x78});
  CHECK(parse_color("#ABC") == Color{0xaa, 0xbb, 0xcc});
  CHECK(parse_color("#1f6f7880") == Color{0x1f, 0x6f, 0x78});
  CHECK(parse_color(" rgb( 10, 20 ,30 ) ") == Color{10, 20, 30});
  CHECK(parse_color("rgb(100%, 0%, 50%)") == Color{255, 0, 128});
  CHECK(parse_color("rgba(1,2,3,0.5)") == Color{1, 2, 3});
  CHECK(parse_color("rgb(300,-4,0)") == Color{255, 0, 0});
  CHECK(parse_color("RebeccaPurple") == Color{0x66, 0x33, 0x99});
  for (const char* bad : {"", "#12", "#12345", "#ggg", "rgb(1,2)", "lantern", "url(#a)"}) {
    INFO(bad);
    CHECK_FALSE(parse_color(bad));
  }
  CHECK(hex({0, 15, 255}) == "#000fff");
}

TEST_CASE("relative luminance follows WCAG") {
  CHECK(luminance({255, 255, 255}) == Approx(1));
  CHECK(luminance({0, 0, 0}) == Approx(0));
  // WCAG 2.2, "relative luminance": pure green carries 0.7152.
  CHECK(luminance({0, 255, 0}) == Approx(0.7152));
  // A second implementation: tests/colors_agree_test.py.
  for (const auto& row : table("srgb.txt", 7)) {
    const Color color{static_cast<std::uint8_t>(row[0]), static_cast<std::uint8_t>(row[1]),
                      static_cast<std::uint8_t>(row[2])};
    INFO(hex(color));
    CHECK(luminance(color) == Approx(row[3]).margin(0.0005));
    const Lab lab = to_cielab(color);
    CHECK(lab.l == Approx(row[4]).margin(0.05));
    CHECK(lab.a == Approx(row[5]).margin(0.05));
    CHECK(lab.b == Approx(row[6]).margin(0.05));
  }
}

TEST_CASE("declarations pass over what cannot be read") {
  const auto all = parse_declarations(" stroke : red ;; fill:none!important; nonsense; stroke-width: 2px ");
  CHECK(all.size() == 3);
  CHECK(value(all, "stroke") == "red");
  CHECK(value(all, "fill") == "none");
}

TEST_CASE("rules apply by weight, then by order") {
  StyleSheet sheet;
  sheet.add("#roof { stroke: #111111 } .cut { stroke: #222222 } path { stroke: #333333 } .cut { stroke: #444444 }");
  CHECK(value(sheet.matching("path", "roof", "cut"), "stroke") == "#111111");
  CHECK(value(sheet.matching("path", "", "cut"), "stroke") == "#444444");
  CHECK(value(sheet.matching("path", "", ""), "stroke") == "#333333");
  CHECK(sheet.matching("rect", "", "").empty());
  CHECK(sheet.matching("rect", "", "cutter").empty());
}

TEST_CASE("compound selectors, lists, comments and at-rules") {
  StyleSheet sheet;
  sheet.add(R"(@charset "utf-8"; /* path { stroke: red } */ @media print { path { stroke: red } }
    path.a.b, rect#r { stroke: #010203 } * { fill: none } g > path { stroke: red } path:hover { stroke: red })");
  CHECK(value(sheet.matching("path", "", "b x a"), "stroke") == "#010203");
  CHECK(value(sheet.matching("path", "", "a"), "stroke").empty());
  CHECK(value(sheet.matching("rect", "r", ""), "stroke") == "#010203");
  CHECK(value(sheet.matching("circle", "", ""), "fill") == "none");
  CHECK(sheet.ignored().size() == 3);
}

TEST_CASE("broken style sheets end quietly") {
  for (const char* css : {"{", "}", "path {", "path { stroke", ".{}", "#{}", "/*", "@media", "a{b:c}}}{"}) {
    StyleSheet sheet;
    sheet.add(css);
    (void)sheet.matching("path", "id", "class");
  }
}

TEST_CASE("properties change the style, unknown ones leave it") {
  SvgStyle s;
  apply(s, "color", "#123456", kNoServer);
  apply(s, "stroke", "currentColor", kNoServer);
  CHECK(s.stroke == Color{0x12, 0x34, 0x56});
  apply(s, "stroke", "lantern", kNoServer);
  CHECK(s.stroke == Color{0x12, 0x34, 0x56});
  apply(s, "stroke-dasharray", "3 2", kNoServer);
  CHECK(s.dashed);
  apply(s, "stroke-dasharray", "none", kNoServer);
  CHECK_FALSE(s.dashed);
  apply(s, "stroke-dasharray", "0", kNoServer);
  CHECK_FALSE(s.dashed);
  apply(s, "fill", "url('#sunset')", [](std::string_view id) {
    return id == "sunset" ? std::optional(Color{9, 9, 9}) : std::nullopt;
  });
  CHECK(s.fill == Color{9, 9, 9});
  apply(s, "fill", "none", kNoServer);
  CHECK_FALSE(s.fill);
  apply(s, "display", "none", kNoServer);
  CHECK_FALSE(s.displayed);
  apply(s, "visibility", "hidden", kNoServer);
  CHECK_FALSE(s.visible);
}

TEST_CASE("numbers in text, locale or not") {
  TextScan in("1.5,-2e1 .5-3+4 x");
  CHECK(*in.number() == 1.5);
  CHECK(*in.number() == -20);
  CHECK(*in.number() == 0.5);
  CHECK(*in.number() == -3);
  CHECK(*in.number() == 4);
  const auto before = in.offset();
  CHECK_FALSE(in.number());
  CHECK(in.offset() == before);
  TextScan flags("01 1,0");
  CHECK_FALSE(*flags.flag());
  CHECK(*flags.flag());
  CHECK(*flags.flag());
  CHECK_FALSE(*flags.flag());
  CHECK_FALSE(TextScan(",,1").number());
  CHECK(to_integer("42") == 42);
  CHECK_FALSE(to_integer("42 lanterns"));
  CHECK_FALSE(to_number("1,5"));
  CHECK(split("a,b,,c", ',').size() == 4);
}
