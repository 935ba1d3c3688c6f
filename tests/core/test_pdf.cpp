#include <catch2/catch.hpp>

#include "core/format/pdf_reader.hpp"

using namespace dotlane;

TEST_CASE("PostScript that comes to no end is left as soon as that is wished") {
  int asked = 0;
  ReadOptions options;
  options.stop = [&] { return ++asked > 3; };
  const auto art = read_pdf("%!PS\n{} loop\n", "endless.ps", options);
  REQUIRE_FALSE(art);
  CHECK(art.error().said.code == "reading-stopped");
  CHECK(art.error().place == "endless.ps");
}
