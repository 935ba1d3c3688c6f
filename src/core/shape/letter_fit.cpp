#include "core/shape/letter_fit.hpp"

#include <algorithm>
#include <limits>
#include <map>

#include "core/geometry/measure.hpp"
#include "core/geometry/parallel.hpp"
#include "core/project/kinds.hpp"
#include "core/text/unicode.hpp"

namespace dotlane {
namespace {

constexpr double kChordOfFit = 0.004;  // mm
constexpr double kExact = 0.001;       // mm: shifts are found this closely
constexpr double kSafe = 0.01;         // mm: and taken this much farther than needed

bool meet(const Region& a, const Region& b) {
  if (a.empty() || b.empty() || !bounds_of(a).overlaps(bounds_of(b))) return false;
  return !intersect(a, b).empty();
}

Region only(const Ring& hole) {
  Ring turned(hole.rbegin(), hole.rend());
  return Region{{std::move(turned)}};
}

double largest_part(const Region& region) {
  double largest = 0;
  for (const auto& part : parts_of(region)) largest = std::max(largest, area_of(part));
  return largest;
}

/// The pair with the right letter shifted along the baseline.
class Pairing {
 public:
  Pairing(const Lettering& lettering, const std::vector<Region>& regions, const LetterPair& pair,
          const FitLimits& limits)
      : lettering_(lettering), a_(regions[pair.left]), b_(regions[pair.right]), pair_(pair), limits_(limits) {
    limits_.neck = std::min(limits.neck, lettering.cap_height / 25);
    box_ = bounds_of(a_);
  }

  [[nodiscard]] Region right_at(double shift) const {
    if (shift == 0) return b_;
    const Letter& letter = lettering_.letters[pair_.right];
    const Baseline& base = lettering_.baselines[letter.line];
    return transformed(b_, base.place(letter.at + shift, 0) * base.place(letter.at, 0).inverse());
  }

  [[nodiscard]] bool touches(const Region& b) const {
    if (a_.empty() || b.empty() || !box_.overlaps(bounds_of(b))) return false;
    const Region both = intersect(a_, b);
    const Box box = bounds_of(both);
    return !both.empty() && std::max(box.width(), box.height()) >= limits_.neck && area_of(both) > 1e-5;
  }

  [[nodiscard]] std::optional<PairFit::Counter> closed(const Region& b) const {
    std::optional<PairFit::Counter> worst;
    auto look = [&](const Region& own, const Region& other, std::size_t letter) {
      const Box reach = bounds_of(other);
      for (const auto& ring : own.rings) {
        const double was = -signed_area_of(ring);
        if (was <= 0 || !bounds_of(ring).overlaps(reach)) continue;
        const double left = largest_part(subtract(only(ring), other));
        if (left >= std::min(limits_.counter_mm2, was / 2)) continue;
        if (!worst || left < worst->left_mm2) worst = PairFit::Counter{letter, was, left};
      }
    };
    if (a_.empty() || b.empty() || !box_.overlaps(bounds_of(b))) return worst;
    look(a_, b, pair_.left);
    look(b, a_, pair_.right);
    return worst;
  }

  struct Range {
    double least = 0, most = 0;
  };
  /// The shifts at which the pair touches and keeps its counters; nothing when there are none.
  [[nodiscard]] std::optional<Range> range() const {
    if (a_.empty() || b_.empty()) return std::nullopt;
    const Box right = bounds_of(b_);
    const double step = std::max(lettering_.cap_height / 25, 0.02);
    const double far = std::max({box_.width(), right.width(), right.height(), step * 4});
    // From apart towards each other until they touch, and on until a counter closes.
    double apart = far;
    while (touches(right_at(apart)) && apart < 4 * far) apart += far;
    double shift = apart;
    bool touching = false;
    while (shift > -2 * far && !(touching = touches(right_at(shift)))) shift -= step;
    if (!touching) return std::nullopt;
    auto between = [&](double yes, double no, auto holds) {
      while (std::abs(yes - no) > kExact) {
        const double middle = (yes + no) / 2;
        (holds(middle) ? yes : no) = middle;
      }
      return yes;
    };
    auto fits = [&](double s) {
      const Region b = right_at(s);
      return touches(b) && !closed(b);
    };
    Range out;
    out.most = between(shift, shift + step, [&](double s) { return touches(right_at(s)); });
    if (!fits(out.most)) return std::nullopt;
    double least = out.most;
    while (least > -2 * far && fits(least - step)) least -= step;
    out.least = between(least, least - step, fits);
    return out;
  }

 private:
  const Lettering& lettering_;
  const Region &a_, &b_;
  LetterPair pair_;
  FitLimits limits_;
  Box box_;
};

/// The shift within the range that is nearest to none; none at all, or one a little inside the range.
double nearest(const Pairing::Range& range) {
  if (range.least <= 0 && range.most >= 0) return 0;
  const double safe = std::min(kSafe, (range.most - range.least) / 2);
  return std::clamp(0.0, range.least + safe, range.most - safe);
}

}  // namespace

std::string name_of(const Lettering& lettering, std::size_t letter) {
  const Letter& l = lettering.letters[letter];
  return utf8_of(std::u32string_view(lettering.text).substr(l.first, l.last - l.first));
}

double distance_between(const Region& a, const Region& b) {
  if (a.empty() || b.empty()) return std::numeric_limits<double>::infinity();
  if (meet(a, b)) return 0;
  double best = std::numeric_limits<double>::infinity();
  for (const auto& ra : a.rings) {
    for (const auto& rb : b.rings) {
      for (std::size_t i = 0; i < ra.size(); ++i) {
        const Vec a0 = ra[i], a1 = ra[(i + 1) % ra.size()];
        Box near;
        near.add(a0), near.add(a1);
        near = near.grown(best);
        for (std::size_t k = 0; k < rb.size(); ++k) {
          const Vec b0 = rb[k], b1 = rb[(k + 1) % rb.size()];
          if (std::max(b0.x, b1.x) < near.x0 || std::min(b0.x, b1.x) > near.x1 || std::max(b0.y, b1.y) < near.y0 ||
              std::min(b0.y, b1.y) > near.y1)
            continue;
          best = std::min({best, distance(a0, nearest_on(b0, b1, a0)), distance(a1, nearest_on(b0, b1, a1)),
                           distance(b0, nearest_on(a0, a1, b0)), distance(b1, nearest_on(a0, a1, b1))});
        }
      }
    }
  }
  return best;
}

std::vector<LetterPair> neighbours(const Lettering& lettering) {
  std::vector<LetterPair> out;
  const auto& letters = lettering.letters;
  for (std::size_t i = 0; i + 1 < letters.size(); ++i) {
    if (letters[i].line == letters[i + 1].line && !letters[i].blank && !letters[i + 1].blank) out.push_back({i, i + 1});
  }
  return out;
}

std::vector<Region> letter_regions(const Lettering& lettering) {
  std::map<std::tuple<std::vector<unsigned>, double, double>, Region> shapes;
  std::vector<Region> out;
  out.reserve(lettering.letters.size());
  for (const auto& letter : lettering.letters) {
    if (letter.blank || lettering.strokes) {
      out.emplace_back();
      continue;
    }
    // The place carries the letter's own scale; the shape is as the face and the size make it.
    const auto [shape, fresh] = shapes.try_emplace({letter.forms, letter.em_across, letter.em_down});
    if (fresh) shape->second = region_of(letter.shape, std::max(kChordOfFit, lettering.cap_height / 5000));
    out.push_back(transformed(shape->second, letter.place));
  }
  return out;
}

std::vector<PairFit> pair_fits(const Lettering& lettering, const std::vector<Region>& regions,
                               const FitLimits& limits) {
  const auto pairs = neighbours(lettering);
  std::vector<PairFit> out(pairs.size());
  for_each_index(pairs.size(), 24, [&](std::size_t i) {
    const Pairing pairing(lettering, regions, pairs[i], limits);
    const Region& right = regions[pairs[i].right];
    PairFit fit{pairs[i], pairing.touches(right), 0, pairing.closed(right)};
    if (!fit.touches) fit.gap = distance_between(regions[pairs[i].left], right);
    out[i] = fit;
  });
  return out;
}

std::optional<double> mending_shift(const Lettering& lettering, const std::vector<Region>& regions,
                                    const LetterPair& pair, const FitLimits& limits) {
  const auto range = Pairing(lettering, regions, pair, limits).range();
  if (!range) return std::nullopt;
  return nearest(*range);
}

Values with_space_before(Values values, const Lettering& lettering, std::size_t letter, double by) {
  LetterMove move{lettering.letters[letter].first};
  for (const auto& m : letter_moves(values)) {
    if (m.character == move.character) move = m;
  }
  move.before = std::round((move.before + by) * 1e4) / 1e4;
  return with_letter_move(std::move(values), move);
}

Result<Values> closed_up(const Values& values, const FitLimits& limits) {
  const KindSpec& spec = *find_kind(shape_kinds(), "lettering");
  const Reading take(spec, values);
  const Lettering lettering = set_lettering(values);
  if (lettering.strokes) return fail(ErrorKind::bad_request, {"fit-strokes"});
  const auto regions = letter_regions(lettering);
  const auto pairs = neighbours(lettering);
  std::vector<std::optional<Pairing::Range>> ranges(pairs.size());
  for_each_index(pairs.size(), 2,
                 [&](std::size_t i) { ranges[i] = Pairing(lettering, regions, pairs[i], limits).range(); });
  std::string hopeless;
  Pairing::Range common{-std::numeric_limits<double>::infinity(), std::numeric_limits<double>::infinity()};
  for (std::size_t i = 0; i < pairs.size(); ++i) {
    if (!ranges[i]) {
      hopeless += (hopeless.empty() ? "“" : ", “") + name_of(lettering, pairs[i].left) + "” + “" +
                  name_of(lettering, pairs[i].right) + "”";
      continue;
    }
    common.least = std::max(common.least, ranges[i]->least);
    common.most = std::min(common.most, ranges[i]->most);
  }
  if (!hopeless.empty()) {
    return fail(ErrorKind::bad_request, {"fit-hopeless", {{"pairs", hopeless}}});
  }
  if (pairs.empty()) return values;
  // Sized by its height it keeps its letters' size while they move; a finished width is met again afterwards.
  Values out = values;
  const bool by_width = take.is("size-by", "width");
  if (by_width) {
    out["size-by"] = std::string("cap-height");
    out["size"] = lettering.cap_height;
  }
  if (common.least <= common.most) {
    out["tracking"] = std::round((take.number("tracking") + nearest(common)) * 1e4) / 1e4;
  } else {
    for (std::size_t i = 0; i < pairs.size(); ++i) {
      const double shift = nearest(*ranges[i]);
      if (shift != 0) out = with_space_before(std::move(out), lettering, pairs[i].right, shift);
    }
  }
  if (by_width) {
    Box box;
    for (const auto& letter : set_lettering(out).letters) box.add(bounds_of(placed(letter)));
    if (box.width() > 0) out = scaled_lettering(std::move(out), take.number("size") / box.width());
    out["size-by"] = std::string("width");
    out["size"] = take.number("size");
  }
  return out;
}

}  // namespace dotlane
