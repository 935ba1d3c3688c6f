// Laws that must hold whatever the shapes are, tried on random ones. Seeds are fixed; a fault names its round.
#include <set>

#include "chance.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/steps.hpp"
#include "fixtures.hpp"
#include "geos_oracle.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {
namespace {

void nearly(double a, double b, double allowed = 1e-4) { CHECK(a == Approx(b).epsilon(1e-6).margin(allowed)); }

Path path_of(const std::vector<Ring>& rings, FillRule rule) {
  Path out;
  out.fill_rule = rule;
  for (Ring ring : rings) {
    while (ring.size() > 1 && distance(ring.back(), ring.front()) < kMeetingEnds) ring.pop_back();
    Contour c;
    c.start = ring.front();
    for (std::size_t i = 1; i < ring.size(); ++i) c.segments.push_back(Segment::line(ring[i]));
    c.segments.push_back(Segment::line(ring.front()));
    c.closed = true;
    out.contours.push_back(std::move(c));
  }
  return out;
}

}  // namespace

TEST_CASE("random rings: what they enclose is what GEOS says") {
  Chance chance(1);
  for (int round = 0; round < rounds(150); ++round) {
    INFO("round " << round);
    const auto rings = chance.rings();
    const FillRule rule = chance.rule();
    const Region ours = region_of(rings, rule);
    nearly(area_of(ours), area_of(geos_region(rings, rule)), 0.001);
    // Clean is clean: once more changes nothing.
    nearly(area_of(region_of(ours.rings, FillRule::nonzero)), area_of(ours));
    nearly(area_of(region_of(ours.rings, FillRule::evenodd)), area_of(ours), 0.001);
    for (const auto& r : ours.rings) CHECK(r.size() >= 3);
  }
}

TEST_CASE("random regions: the laws of sets") {
  Chance chance(2);
  for (int round = 0; round < rounds(120); ++round) {
    INFO("round " << round);
    const Region a = region_of(chance.rings(), chance.rule()), b = region_of(chance.rings(), chance.rule()),
                 c = region_of(chance.rings(), chance.rule());
    const double ab = area_of(intersect(a, b));
    nearly(area_of(unite({a, b})), area_of(a) + area_of(b) - ab, 0.001);
    nearly(area_of(subtract(a, b)), area_of(a) - ab, 0.001);
    nearly(ab, area_of(intersect(b, a)), 0.001);
    nearly(area_of(unite({a, b, c})), area_of(unite({c, unite({b, a})})), 0.001);
    nearly(area_of(unite({a, a})), area_of(a), 0.001);
    CHECK(area_of(subtract(a, a)) < 0.001);
    nearly(area_of(subtract(a, unite({b, c}))), area_of(intersect(subtract(a, b), subtract(a, c))), 0.002);
    double parts = 0;
    std::size_t rings = 0;
    for (const auto& part : parts_of(a)) {
      parts += area_of(part);
      rings += part.rings.size();
      CHECK(signed_area_of(part.rings[0]) > 0);
      for (std::size_t i = 1; i < part.rings.size(); ++i) CHECK(signed_area_of(part.rings[i]) < 0);
    }
    nearly(parts, area_of(a));
    CHECK(rings == a.rings.size());
  }
}

TEST_CASE("random regions: offsets grow and shrink as they must") {
  Chance chance(3);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    const Region a = region_of(chance.rings(), chance.rule());
    const double by = chance.between(0.1, 6);
    const Region out = offset(a, by), in = offset(a, -by);
    CHECK(area_of(subtract(a, out)) < 0.01);
    CHECK(area_of(subtract(in, a)) < 0.01);
    // Twice half as far is as far (round corners), and back again covers what there was.
    nearly(area_of(offset(offset(a, by / 2), by / 2)), area_of(out), 0.004 * perimeter_of(out) + 0.01);
    CHECK(area_of(subtract(a, offset(out, -by))) < 0.004 * perimeter_of(a) + 0.01);
    // No place of the larger one is farther from the old than the distance.
    const Figures theirs = geos_offset(a, by, Corners::round, 5, 60);
    CHECK(area_of(out) == Approx(theirs.area).epsilon(1e-3).margin(0.02 * by * perimeter_of(a)));
    // A bevel never reaches farther than an arc, and a mitre, bevelled where it would reach too far, no less than it.
    const Region bevel = offset(a, by, {Corners::bevel, 3, kChord}), mitre = offset(a, by, {Corners::mitre, 3, kChord});
    CHECK(area_of(subtract(a, bevel)) < 0.01);
    CHECK(area_of(bevel) <= area_of(out) + 0.01 + 0.004 * perimeter_of(out));
    CHECK(area_of(subtract(bevel, mitre)) < 0.01 + 0.004 * perimeter_of(out));
  }
}

TEST_CASE("random regions: curves put back stay within their tolerance, and area hardly changes") {
  Chance chance(4);
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    const Region a = offset(region_of(chance.rings(), chance.rule()), chance.between(0.05, 2));
    const Path path = refit(a);
    REQUIRE(path.contours.size() <= a.rings.size());
    CHECK(segment_count(path) <= vertices_in(a) + a.rings.size());
    CHECK(enclosed_area_of(path) == Approx(area_of(a)).margin(kRefit * perimeter_of(a) + 1e-3));
    for (const auto& c : path.contours) {
      CHECK(c.closed);
      CHECK(c.segments.back().end == c.start);
      for (const auto& s : c.segments) CHECK(is_finite(s.end));
    }
  }
}

TEST_CASE("random lines clipped: inside and outside make the whole") {
  Chance chance(5);
  for (int round = 0; round < rounds(80); ++round) {
    INFO("round " << round);
    const Region area = region_of(chance.rings(), chance.rule());
    Polyline line;
    line.closed = chance.coin();
    for (int i = 0; i < 12; ++i) line.points.push_back({chance.between(-10, 100), chance.between(-10, 100)});
    if (line.closed) line.points.push_back(line.points.front());
    double sum = 0;
    for (const bool inside : {true, false}) {
      for (const auto& run : clip({line}, area, inside)) {
        sum += length_of(run);
        if (run.closed) CHECK(run.points.front() == run.points.back());
      }
    }
    nearly(sum, length_of(line), 0.01);
  }
}

TEST_CASE("random recipes never fail, are the same from a warm cache, and survive the file") {
  Chance chance(6);
  DrawingCache warm;
  for (int round = 0; round < rounds(60); ++round) {
    INFO("round " << round);
    Project p = new_project("random");
    for (int piece = 0; piece < 3; ++piece) {
      if (chance.coin()) {
        const auto& kinds = shape_kinds();
        const auto& kind = kinds[static_cast<std::size_t>(chance.whole(0, static_cast<int>(kinds.size()) - 3))];
        Values values;
        for (const auto& v : kind.values) {
          if (v.type == ValueType::length && chance.coin())
            values[v.key] = chance.between(v.low, std::min(v.high, 120.0));
          if (v.type == ValueType::choice)
            values[v.key] =
                v.words[static_cast<std::size_t>(chance.whole(0, static_cast<int>(v.words.size()) - 1))].word;
        }
        if (auto next = add_shape(p, kind.kind, values)) p = *next;
      } else {
        Artwork art;
        art.unit_source = UnitSource::stated;
        art.width_mm = art.height_mm = 100;
        for (int i = 0; i < 3; ++i) {
          ArtLine line;
          line.id = "line" + std::to_string(i);
          line.stroke = Color{static_cast<std::uint8_t>(chance.whole(0, 255)), 0, 0};
          line.path = path_of(chance.rings(), chance.rule());
          art.lines.push_back(std::move(line));
        }
        p = add_artwork(std::move(p), art, "random.svg");
      }
    }
    REQUIRE(p.pieces.size() == 3);
    for (int i = 0; i < 6; ++i) {
      const int piece = p.pieces[static_cast<std::size_t>(chance.whole(0, 2))]->id;
      const auto& kinds = step_kinds();
      const auto& kind = kinds[static_cast<std::size_t>(chance.whole(0, static_cast<int>(kinds.size()) - 1))];
      if (kind.kind == "repeat") continue;  // or six of them make millions
      Step step;
      step.kind = kind.kind;
      for (const auto& v : kind.values) {
        if (chance.coin()) continue;
        switch (v.type) {
          case ValueType::length:
          case ValueType::area:
            step.values[v.key] = chance.between(std::max(v.low, -10.0), std::min(v.high, 10.0));
            break;
          case ValueType::degrees:
            step.values[v.key] = chance.between(v.low, v.high);
            break;
          case ValueType::count:
            step.values[v.key] = static_cast<double>(chance.whole(static_cast<int>(v.low), 5));
            break;
          case ValueType::choice:
            step.values[v.key] =
                v.words[static_cast<std::size_t>(chance.whole(0, static_cast<int>(v.words.size()) - 1))].word;
            break;
          case ValueType::flag:
            step.values[v.key] = chance.coin();
            break;
          case ValueType::pieces:
            step.values[v.key] = std::vector<double>{static_cast<double>(chance.whole(1, 4))};
            break;
          case ValueType::spots:
            step.values[v.key] = std::vector<double>{chance.between(0, 1), chance.between(0, 1)};
            break;
          default:
            break;
        }
      }
      // Refused steps (a circle, a value out of range) leave the project as it was.
      if (auto next = add_step(p, piece, step)) p = *next;
    }
    const Drawing fresh = drawn(p), again = evaluate(p, warm);
    for (std::size_t i = 0; i < 3; ++i) {
      REQUIRE(fresh.pieces[i]->piece->lines == again.pieces[i]->piece->lines);
      for (const auto& line : fresh.pieces[i]->piece->lines) {
        for (const auto& c : line.path->contours) {
          REQUIRE_FALSE(c.segments.empty());
          for (const auto& s : c.segments) REQUIRE(is_finite(s.end));
        }
      }
      std::set<std::string> ids;
      for (const auto& line : fresh.pieces[i]->piece->lines) CHECK(ids.insert(line.id).second);
    }
    const auto read = project_from_json(to_json(p), "random");
    if (!read) FAIL(line_of(read.error()));
    CHECK(*read == p);
    CHECK(to_json(*read) == to_json(p));
    // The whole road takes it.
    const Derived d = derived(p);
    CHECK(d.plan.seconds >= 0);
    for (const auto& piece : p.pieces) {
      const Project frozen = freeze(p, fresh, piece->id);
      CHECK(find_piece(frozen, piece->id)->plain());
    }
  }
}

}  // namespace dotlane::test
