// How far and how large a piece may be: edits and files agree on it.
#include "core/project/bounds.hpp"

#include <cmath>

#include "chance.hpp"
#include "core/format/project_json.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Project placed(const Affine& placement) {
  Project p = project_of(R"(<path id="edge" d="M20 20 h100 v70 h-100 z"/><path id="fold" d="M70 20 v70"/>)");
  p.pieces.front().edit([&](Piece& piece) { piece.placement = placement; });
  return p;
}

BrokenBound broken(const Affine& placement) { return broken_bound(*placed(placement).pieces.front()); }

}  // namespace

TEST_CASE("a piece may lie within 100 m, be at most 10,000 times as large, and must have an area") {
  CHECK(broken({}).bound == Bound::kept);
  CHECK(broken(Affine::move(kFarthestMm - 130, 0)).bound == Bound::kept);
  CHECK(broken(Affine::move(kFarthestMm + 1, 0)).bound == Bound::distant);
  CHECK(broken(Affine::move(0, -kFarthestMm - 1)).bound == Bound::distant);
  CHECK(broken(Affine::scale(800, 800)).bound == Bound::kept);
  CHECK(broken(Affine::scale(20'000, 1)).bound == Bound::enlarged);
  CHECK(broken(Affine::scale(1e-7, 1e-7)).bound == Bound::flattened);
  CHECK(broken({1, 2, 2, 4, 0, 0}).bound == Bound::flattened);
  // By its lines: 100 mm from the origin, a thousand times.
  const BrokenBound far = broken(Affine::scale(1000, 1000));
  CHECK(far.bound == Bound::distant);
  CHECK(far.line == 0);
  CHECK(broken(Affine::scale(-1000, 1)).line == 0);
  CHECK(broken(Affine::move(2 * kFarthestMm, 0)).line == BrokenBound::npos);
}

TEST_CASE("what is within bounds reads back, and what is not is refused with its place") {
  Chance chance(2024);
  int kept = 0, refused = 0;
  for (int round = 0; round < rounds(400); ++round) {
    const double size = std::pow(10, chance.between(-8, 5)), far = std::pow(10, chance.between(0, 6));
    const Affine placement = Affine::move(chance.between(-far, far), chance.between(-far, far)) *
                             Affine::rotate(chance.between(0, 360)) * Affine::scale(size, size);
    const Project p = placed(placement);
    const BrokenBound bound = broken_bound(*p.pieces.front());
    const auto again = project_from_json(to_json(p), "bounds.dotlane");
    INFO("round " << round << ", " << size << " times as large");
    CHECK(again.has_value() == (bound.bound == Bound::kept));
    if (again) {
      ++kept;
      CHECK(*again == p);
    } else {
      ++refused;
      const std::string line = line_of(again.error());
      CHECK(line.find(bound.line == BrokenBound::npos ? "pieces[0].placement: " : "pieces[0].lines[") !=
            std::string::npos);
      CHECK(line.find("bounds.dotlane") == 0);
    }
  }
  CHECK(kept >= rounds(100));
  CHECK(refused >= rounds(100));
}
