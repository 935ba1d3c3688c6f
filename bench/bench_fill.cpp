// Fills: the scan kernel beside the ways of two geometry libraries, and what a million strokes cost.
#include <benchmark/benchmark.h>
#include <geos_c.h>

#include <polyclipping/clipper.hpp>

#include "core/plan/fill_advice.hpp"
#include "core/plan/run_cost.hpp"
#include "core/project/presets.hpp"
#include "core/shape/fill/coverage.hpp"
#include "core/shape/fill/fill.hpp"
#include "core/shape/fill/hatch.hpp"
#include "core/shape/letter_fit.hpp"

namespace dotlane {
namespace {

/// Six lines of small lettering: some 300 letters, thousands of edges.
const Region& lettering() {
  static const Region region = [] {
    std::string text;
    for (int i = 0; i < 6; ++i)
      text += std::string(i ? "\n" : "") + "lanterns along the harbour wall and boats at rest";
    return unite(
        letter_regions(set_lettering({{"text", text}, {"font", std::string("Roboto Slab Bold")}, {"size", 9.0}})));
  }();
  return region;
}

FillOptions hatch_every(double spacing) {
  FillOptions o;
  o.spacing = spacing;
  o.angle = 20;
  o.inset = 0;
  o.shortest = 0;
  return o;
}

/// The scan lines over the lettering, each from one side to the other.
std::vector<std::pair<Vec, Vec>> lines_over(const Region& region, double spacing) {
  const Box box = bounds_of(region);
  const double far = box.width() + box.height(), c = std::cos(20 * 3.14159265358979 / 180),
               s = std::sin(20 * 3.14159265358979 / 180);
  std::vector<std::pair<Vec, Vec>> out;
  for (double k = std::floor((box.x0 * s + box.y0 * c) / spacing); k * spacing <= box.x1 * s + box.y1 * c; ++k) {
    const double v = k * spacing;
    const double u = box.centre().x * c - box.centre().y * s;
    out.push_back({{(u - far) * c + v * s, v * c - (u - far) * s}, {(u + far) * c + v * s, v * c - (u + far) * s}});
  }
  return out;
}

constexpr double kSpacing = 0.2;

void BM_HatchLettering(benchmark::State& state) {
  const Region& region = lettering();
  double length = 0;
  for (auto _ : state) length = fill(region, hatch_every(kSpacing))->length_mm();
  state.counters["mm"] = length;
}
BENCHMARK(BM_HatchLettering)->Unit(benchmark::kMillisecond);

void BM_ZigzagLettering(benchmark::State& state) {
  FillOptions o = hatch_every(kSpacing);
  o.pattern = FillPattern::zigzag;
  for (auto _ : state) benchmark::DoNotOptimize(fill(lettering(), o));
}
BENCHMARK(BM_ZigzagLettering)->Unit(benchmark::kMillisecond);

/// Each line intersected with the polygons by GEOS.
void BM_HatchLetteringByGeosLines(benchmark::State& state) {
  GEOSContextHandle_t geos = GEOS_init_r();
  std::vector<GEOSGeometry*> polygons;
  auto ring_of = [&](const Ring& ring) {
    GEOSCoordSequence* sequence = GEOSCoordSeq_create_r(geos, static_cast<unsigned>(ring.size() + 1), 2);
    for (std::size_t i = 0; i <= ring.size(); ++i)
      GEOSCoordSeq_setXY_r(geos, sequence, static_cast<unsigned>(i), ring[i % ring.size()].x, ring[i % ring.size()].y);
    return GEOSGeom_createLinearRing_r(geos, sequence);
  };
  for (const auto& part : parts_of(lettering())) {
    std::vector<GEOSGeometry*> holes;
    for (std::size_t i = 1; i < part.rings.size(); ++i) holes.push_back(ring_of(part.rings[i]));
    polygons.push_back(
        GEOSGeom_createPolygon_r(geos, ring_of(part.rings[0]), holes.data(), static_cast<unsigned>(holes.size())));
  }
  GEOSGeometry* shape =
      GEOSGeom_createCollection_r(geos, GEOS_MULTIPOLYGON, polygons.data(), static_cast<unsigned>(polygons.size()));
  double length = 0;
  for (auto _ : state) {
    length = 0;
    for (const auto& [a, b] : lines_over(lettering(), kSpacing)) {
      GEOSCoordSequence* sequence = GEOSCoordSeq_create_r(geos, 2, 2);
      GEOSCoordSeq_setXY_r(geos, sequence, 0, a.x, a.y);
      GEOSCoordSeq_setXY_r(geos, sequence, 1, b.x, b.y);
      GEOSGeometry* line = GEOSGeom_createLineString_r(geos, sequence);
      GEOSGeometry* inside = GEOSIntersection_r(geos, shape, line);
      double own = 0;
      GEOSLength_r(geos, inside, &own);
      length += own;
      GEOSGeom_destroy_r(geos, inside);
      GEOSGeom_destroy_r(geos, line);
    }
  }
  state.counters["mm"] = length;
  GEOSGeom_destroy_r(geos, shape);
  GEOS_finish_r(geos);
}
BENCHMARK(BM_HatchLetteringByGeosLines)->Unit(benchmark::kMillisecond)->Iterations(2);

/// All lines at once as open paths through Clipper.
void BM_HatchLetteringByClipper(benchmark::State& state) {
  auto grid = [](Vec p) { return ClipperLib::IntPoint(std::llround(p.x * 1e6), std::llround(p.y * 1e6)); };
  double length = 0;
  for (auto _ : state) {
    ClipperLib::Clipper clipper;
    for (const auto& ring : lettering().rings) {
      ClipperLib::Path path;
      for (const Vec p : ring) path.push_back(grid(p));
      clipper.AddPath(path, ClipperLib::ptClip, true);
    }
    for (const auto& [a, b] : lines_over(lettering(), kSpacing))
      clipper.AddPath({grid(a), grid(b)}, ClipperLib::ptSubject, false);
    ClipperLib::PolyTree tree;
    clipper.Execute(ClipperLib::ctIntersection, tree, ClipperLib::pftNonZero, ClipperLib::pftNonZero);
    ClipperLib::Paths open;
    ClipperLib::OpenPathsFromPolyTree(tree, open);
    length = 0;
    for (const auto& path : open) {
      for (std::size_t i = 1; i < path.size(); ++i)
        length +=
            std::hypot(static_cast<double>(path[i].X - path[i - 1].X), static_cast<double>(path[i].Y - path[i - 1].Y)) /
            1e6;
    }
  }
  state.counters["mm"] = length;
}
BENCHMARK(BM_HatchLetteringByClipper)->Unit(benchmark::kMillisecond)->Iterations(2);

/// A spacing so fine that the lettering takes a million strokes.
void BM_MillionStrokes(benchmark::State& state) {
  double spacing = kSpacing;
  std::size_t strokes = fill(lettering(), hatch_every(spacing))->size();
  spacing *= static_cast<double>(strokes) / 1.02e6;
  for (auto _ : state) strokes = fill(lettering(), hatch_every(spacing))->size();
  state.counters["strokes"] = static_cast<double>(strokes);
}
BENCHMARK(BM_MillionStrokes)->Unit(benchmark::kMillisecond);

void BM_CoverageOfLettering(benchmark::State& state) {
  const auto strokes = *fill(lettering(), hatch_every(0.3));
  for (auto _ : state) benchmark::DoNotOptimize(coverage_of(lettering(), strokes, {0.3, 0.3 / 8, 3e7}));
}
BENCHMARK(BM_CoverageOfLettering)->Unit(benchmark::kMillisecond);

void BM_CostOfLettering(benchmark::State& state) {
  const Machine machine = new_project("bench").machine;
  const std::vector<Strokes> coats{*fill(lettering(), hatch_every(0.3))};
  for (auto _ : state) benchmark::DoNotOptimize(run_cost(polylines_of(coats), machine, {}));
}
BENCHMARK(BM_CostOfLettering)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
