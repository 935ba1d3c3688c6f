// The geometry kernel beside GEOS on the same input in the same run, and recipes as a user feels them.
#include <benchmark/benchmark.h>
#include <geos_c.h>

#include <cmath>
#include <fstream>
#include <memory>
#include <nlohmann/json.hpp>
#include <random>

#include "core/geometry/path_data.hpp"
#include "core/geometry/refit.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/shape/recipe_edit.hpp"

namespace dotlane {
namespace {

constexpr double kPi = 3.14159265358979323846;

// --- inputs --------------------------------------------------------------------------------------------------------

/// A page of lettering: the test's line of letters, forty times, near enough to touch when grown.
std::vector<Region> lettering() {
  std::ifstream in(DOTLANE_TEST_DATA "/shape/lettering.json");
  const auto json = nlohmann::json::parse(in);
  const auto path = parse_path_data(json["subject"].get<std::string>());
  std::vector<Region> out;
  for (int line = 0; line < 40; ++line) {
    for (const auto& contour : path->contours) {
      Path one{{contour}, FillRule::nonzero};
      out.push_back(region_of(transformed(with_meeting_ends_closed(one), Affine::move(line % 2 * 3, line * 24))));
    }
  }
  return out;
}

std::vector<Region> blobs() {
  std::mt19937 random(3);
  std::uniform_real_distribution<double> at(0, 200), size(2, 9);
  std::vector<Region> out;
  for (int i = 0; i < 2000; ++i) {
    const Vec centre{at(random), at(random)};
    const double radius = size(random);
    Ring ring;
    for (int k = 0; k < 60; ++k) {
      const double a = 2 * kPi * k / 60, r = radius * (1 + 0.2 * std::sin((i % 5 + 2) * a));
      ring.push_back({centre.x + r * std::cos(a), centre.y + r * std::sin(a)});
    }
    out.push_back(region_of({ring}, FillRule::nonzero));
  }
  return out;
}

Region dense_ring(Vec centre) {
  Ring ring;
  for (int i = 0; i < 200'000; ++i) {
    const double a = 2 * kPi * i / 200'000, r = 100 + 5 * std::sin(17 * a);
    ring.push_back({centre.x + r * std::cos(a), centre.y + r * std::sin(a)});
  }
  return region_of({ring}, FillRule::nonzero);
}

const std::vector<Region>& input(int which) {
  static const std::vector<Region> all[] = {lettering(), blobs(), {dense_ring({150, 150}), dense_ring({190, 153})}};
  return all[which];
}

// --- the reference ---------------------------------------------------------------------------------------------------

struct Geos {
  GEOSContextHandle_t context = GEOS_init_r();
  ~Geos() { GEOS_finish_r(context); }

  [[nodiscard]] GEOSGeometry* ring(const Ring& points) const {
    std::vector<double> xy;
    for (const Vec p : points) xy.insert(xy.end(), {p.x, p.y});
    xy.insert(xy.end(), {points.front().x, points.front().y});
    return GEOSGeom_createLinearRing_r(
        context, GEOSCoordSeq_copyFromBuffer_r(context, xy.data(), static_cast<unsigned>(points.size() + 1), 0, 0));
  }
  [[nodiscard]] GEOSGeometry* polygons(const std::vector<Region>& regions) const {
    std::vector<GEOSGeometry*> all;
    for (const auto& region : regions) {
      for (const auto& part : parts_of(region)) {
        std::vector<GEOSGeometry*> holes;
        for (std::size_t i = 1; i < part.rings.size(); ++i) holes.push_back(ring(part.rings[i]));
        all.push_back(
            GEOSGeom_createPolygon_r(context, ring(part.rings[0]), holes.data(), static_cast<unsigned>(holes.size())));
      }
    }
    return GEOSGeom_createCollection_r(context, GEOS_MULTIPOLYGON, all.data(), static_cast<unsigned>(all.size()));
  }
  /// Back to rings, as a program that works on with them needs.
  [[nodiscard]] std::size_t read(const GEOSGeometry* g) const {
    std::size_t n = 0;
    for (int i = 0; i < GEOSGetNumGeometries_r(context, g); ++i) {
      const GEOSGeometry* polygon = GEOSGetGeometryN_r(context, g, i);
      auto take = [&](const GEOSGeometry* r) {
        const auto* sequence = GEOSGeom_getCoordSeq_r(context, r);
        unsigned size = 0;
        GEOSCoordSeq_getSize_r(context, sequence, &size);
        std::vector<double> xy(2 * std::size_t{size});
        GEOSCoordSeq_copyToBuffer_r(context, sequence, xy.data(), 0, 0);
        n += size;
        benchmark::DoNotOptimize(xy.data());
      };
      take(GEOSGetExteriorRing_r(context, polygon));
      for (int k = 0; k < GEOSGetNumInteriorRings_r(context, polygon); ++k)
        take(GEOSGetInteriorRingN_r(context, polygon, k));
    }
    return n;
  }
};

// 0 lettering, 1 blobs, 2 the ring of 200,000 vertices twice.
void union_geos(benchmark::State& state) {
  const Geos geos;
  const auto& in = input(static_cast<int>(state.range(0)));
  for (auto _ : state) {
    GEOSGeometry* all = geos.polygons(in);
    GEOSGeometry* out = GEOSUnaryUnion_r(geos.context, all);
    benchmark::DoNotOptimize(geos.read(out));
    GEOSGeom_destroy_r(geos.context, out);
    GEOSGeom_destroy_r(geos.context, all);
  }
}
BENCHMARK(union_geos)->DenseRange(0, 2)->Unit(benchmark::kMillisecond);

void union_ours(benchmark::State& state) {
  const auto& in = input(static_cast<int>(state.range(0)));
  for (auto _ : state) benchmark::DoNotOptimize(unite(in));
}
BENCHMARK(union_ours)->DenseRange(0, 2)->Unit(benchmark::kMillisecond);

/// Arcs within kChord at this distance: GEOS counts segments a quarter turn.
int quadrant(double by) { return static_cast<int>(std::ceil(kPi / 2 / (2 * std::acos(1 - kChord / by)))); }

void offset_geos(benchmark::State& state) {
  const Geos geos;
  const Region in = unite(input(static_cast<int>(state.range(0))));
  for (auto _ : state) {
    GEOSGeometry* all = geos.polygons({in});
    GEOSGeometry* out = GEOSBuffer_r(geos.context, all, 1.0, quadrant(1.0));
    benchmark::DoNotOptimize(geos.read(out));
    GEOSGeom_destroy_r(geos.context, out);
    GEOSGeom_destroy_r(geos.context, all);
  }
}
BENCHMARK(offset_geos)->DenseRange(0, 2)->Unit(benchmark::kMillisecond);

void offset_ours(benchmark::State& state) {
  const Region in = unite(input(static_cast<int>(state.range(0))));
  for (auto _ : state) benchmark::DoNotOptimize(offset(in, 1.0));
}
BENCHMARK(offset_ours)->DenseRange(0, 2)->Unit(benchmark::kMillisecond);

// --- recipes
// -----------------------------------------------------------------------------------------------------------

void refit_lettering(benchmark::State& state) {
  const Region in = offset(unite(input(0)), 1.0);
  for (auto _ : state) benchmark::DoNotOptimize(refit(in));
}
BENCHMARK(refit_lettering)->Unit(benchmark::kMillisecond);

/// One smooth run without a corner: time should grow with its length alone.
void refit_long_wave(benchmark::State& state) {
  Polyline wave;
  for (int i = 0; i < state.range(0); ++i) wave.points.push_back({i * 0.05, 3 * std::sin(i * 0.05)});
  for (auto _ : state) benchmark::DoNotOptimize(refit(wave));
}
BENCHMARK(refit_long_wave)->Arg(5'000)->Arg(50'000)->Unit(benchmark::kMillisecond);

/// One change of a step's number on a piece of 10,000 nodes, as the window asks for it.
void preview_10k_nodes(benchmark::State& state) {
  Artwork art;
  art.unit_source = UnitSource::stated;
  art.width_mm = art.height_mm = 300;
  std::ifstream in(DOTLANE_TEST_DATA "/shape/lettering.json");
  const auto path = with_meeting_ends_closed(*parse_path_data(nlohmann::json::parse(in)["subject"].get<std::string>()));
  ArtLine line;
  line.id = "page";
  line.stroke = Color{0, 0, 0};
  for (int row = 0; segment_count(line.path) < 10'000; ++row) {
    const Path moved = transformed(path, Affine::scale(0.4, 0.4) * Affine::move(row % 4 * 180, row / 4 * 32));
    line.path.contours.insert(line.path.contours.end(), moved.contours.begin(), moved.contours.end());
  }
  art.lines.push_back(std::move(line));
  int id = 0;
  Project project = add_artwork(new_project("bench"), art, "page.svg", &id);
  project = *add_step(project, id, Step{0, "offset", true, {{"by", 0.5}}, {}, {}});
  DrawingCache cache;
  benchmark::DoNotOptimize(evaluate(project, cache));
  double by = 0.5;
  for (auto _ : state) {
    by = by > 1 ? 0.5 : by + 0.01;
    project = *set_step_value(project, id, 1, "by", by);
    benchmark::DoNotOptimize(evaluate(project, cache));
  }
}
BENCHMARK(preview_10k_nodes)->Unit(benchmark::kMillisecond);

}  // namespace
}  // namespace dotlane
