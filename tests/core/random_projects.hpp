// Projects of many sorts at random, the same for the same seed.
#pragma once

#include "chance.hpp"
#include "fixtures.hpp"

namespace dotlane::test {

inline std::string path_of(const Ring& ring, bool closed) {
  std::string out;
  for (std::size_t i = 0; i < ring.size(); ++i)
    out += (i == 0 ? "M" : " L") + std::to_string(ring[i].x) + " " + std::to_string(ring[i].y);
  return out + (closed ? "Z" : "");
}

/// Pieces of two stocks with lines of every role over one another.
inline Project random_project(Chance& chance) {
  static constexpr Role roles[] = {Role::cut,  Role::cut,     Role::cut,   Role::score, Role::draw,
                                   Role::foil, Role::engrave, Role::print, Role::guide};
  Project p = new_project("random");
  const int n = chance.whole(1, 5);
  for (int i = 0; i < n; ++i) {
    std::string body;
    const int lines = chance.whole(1, 6);
    for (int l = 0; l < lines; ++l) {
      std::string d;
      for (const auto& ring : chance.rings()) d += path_of(ring, chance.whole(0, 3) > 0) + " ";
      body += "<path id='l" + std::to_string(l) + "' d='" + d + "'/>";
    }
    const int id = add_drawing(p, body);
    p = rename_piece(std::move(p), id, chance.coin() ? "Pennant" : "Buoy");
    for (int l = 0; l < lines; ++l)
      p = assign_role(std::move(p), {{id, "l" + std::to_string(l)}}, roles[chance.whole(0, 8)]);
    if (chance.coin()) p = set_stock(p, id, p.stocks.back().id);
    if (chance.whole(0, 7) == 0) p = set_helper(std::move(p), id, true);
  }
  return p;
}

}  // namespace dotlane::test
