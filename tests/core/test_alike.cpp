// What is like what is selected.
#include "core/project/alike.hpp"

#include "core/project/edit.hpp"
#include "fixtures.hpp"

namespace dotlane::test {

TEST_CASE("lines of the same colour, role and tool, pieces of the same stock and size, and all but these") {
  Project p =
      project_of(R"(<path id="cut" d="M20 20 h40 v30 h-40 z"/><path id="ink" d="M25 25 h20" stroke="#1f6f78"/>)");
  int turned = 0, other = 0;
  p = duplicate_piece(p, 1, &turned, {60, 0});
  p = turn_pieces(p, drawn(p), {turned}, 37);
  other = add_drawing(p, R"(<path id="cut" d="M20 120 h41 v30 h-41 z"/>)");
  p = set_stock(p, other, "cover-80");
  const Drawing d = drawn(p);
  const auto pieces = [](const std::vector<LineRef>& refs) {
    std::vector<int> out;
    for (const auto& ref : refs) {
      CHECK(ref.line.empty());
      out.push_back(ref.piece);
    }
    std::sort(out.begin(), out.end());
    return out;
  };
  CHECK(alike(d, {{1, "cut"}}, Alike::role).size() == 3);
  CHECK(alike(d, {{1, "ink"}}, Alike::role) == alike(d, {{turned, "ink"}}, Alike::color));
  CHECK(alike(d, {{1, "ink"}}, Alike::tool).size() == 2);
  CHECK(alike(d, {{1, ""}}, Alike::role).size() == 5);  // of either of its roles
  CHECK(pieces(alike(d, {{1, "ink"}}, Alike::size)) == std::vector{1, turned});
  CHECK(pieces(alike(d, {{other, ""}}, Alike::size)) == std::vector{other});
  CHECK(pieces(alike(d, {{turned, ""}}, Alike::stock)) == std::vector{1, turned});
  CHECK(pieces(all_but(d, {{turned, ""}})) == std::vector{1, other});
  CHECK(pieces(all_but(d, {})) == std::vector{1, turned, other});
  CHECK(all_but(d, {{1, "cut"}}) == std::vector<LineRef>{{1, "ink"}});
  CHECK(alike(d, {}, Alike::color).empty());
}

}  // namespace dotlane::test
