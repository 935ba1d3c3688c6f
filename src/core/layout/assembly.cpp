#include "core/layout/assembly.hpp"

#include <algorithm>

namespace dotlane {

std::vector<AssemblyStep> assembly_of(const Drawing& drawing, const Layout& layout, bool top_first) {
  std::vector<AssemblyStep> out;
  for (const auto& drawn : drawing.pieces) {
    AssemblyStep step;
    step.piece = drawn->piece->id, step.name = drawn->piece->name;
    step.in_tiles = std::any_of(drawn->outcomes.begin(), drawn->outcomes.end(),
                                [](const StepOutcome& o) { return o.seamed != nullptr; });
    for (std::size_t i = 0; i < layout.parts.size(); ++i) {
      if (layout.parts[i].first.piece == step.piece && layout.parts[i].has_body()) step.parts.push_back(i);
    }
    std::sort(step.parts.begin(), step.parts.end(),
              [&](std::size_t a, std::size_t b) { return layout.parts[a].number < layout.parts[b].number; });
    if (!step.parts.empty()) out.push_back(std::move(step));
  }
  if (!top_first) std::reverse(out.begin(), out.end());
  return out;
}

constexpr std::size_t kMostMet = 150;  // steps; of more the boxes around their parts decide what lies on what

std::vector<std::size_t> levels_of(const Layout& layout, const std::vector<AssemblyStep>& steps, bool top_first) {
  const std::size_t n = steps.size();
  struct Body {
    Box box;
    Region region;
  };
  std::vector<std::vector<Body>> bodies(n);
  for (std::size_t s = 0; s < n; ++s) {
    for (const std::size_t part : steps[s].parts) {
      Region body = layout.parts[part].body();
      const Box box = bounds_of(body);
      bodies[s].push_back({box, std::move(body)});
    }
  }
  const auto meet = [&](std::size_t s, std::size_t t) {
    for (const auto& a : bodies[s]) {
      for (const auto& b : bodies[t]) {
        if (a.box.overlaps(b.box) && (n > kMostMet || !intersect(a.region, b.region).empty())) return true;
      }
    }
    return false;
  };
  std::vector<std::size_t> out(n, 0);
  for (std::size_t k = 0; k < n; ++k) {
    const std::size_t s = top_first ? n - 1 - k : k;
    for (std::size_t below = 0; below < k; ++below) {
      const std::size_t t = top_first ? n - 1 - below : below;
      if (out[t] >= out[s] && meet(s, t)) out[s] = out[t] + 1;
    }
  }
  return out;
}

std::vector<int> sheets_with(const Layout& layout, std::size_t part) {
  std::vector<int> out;
  for (const auto& laid : layout.laid) {
    if (laid.part != part || laid.sheet == 0) continue;
    for (std::size_t s = 0; s < layout.sheets.size(); ++s) {
      if (layout.sheets[s].sheet.id == laid.sheet) out.push_back(static_cast<int>(s) + 1);
    }
  }
  std::sort(out.begin(), out.end());
  out.erase(std::unique(out.begin(), out.end()), out.end());
  return out;
}

Vec number_place(const Region& body) {
  Vec out = centre_of(body);
  std::vector<double> crossings;
  for (const auto& ring : body.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      if ((a.y <= out.y) != (b.y <= out.y)) crossings.push_back(a.x + (b.x - a.x) * (out.y - a.y) / (b.y - a.y));
    }
  }
  std::sort(crossings.begin(), crossings.end());
  double widest = 0;
  for (std::size_t i = 0; i + 1 < crossings.size(); i += 2) {
    if (crossings[i + 1] - crossings[i] > widest) {
      widest = crossings[i + 1] - crossings[i];
      out.x = (crossings[i] + crossings[i + 1]) / 2;
    }
  }
  return out;
}

}  // namespace dotlane
