#include "core/check/lettering_checks.hpp"

#include <algorithm>
#include <map>

#include "core/geometry/centre_line.hpp"
#include "core/latest.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/letter_fit.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostPairs = 8;      // pairs that get a finding of their own
constexpr std::size_t kMostClosedUp = 60;  // letters up to which the whole line's spacing is worked out here
// Common practice, no published source: a pen or tip draws clean single-stroke capitals from eight tip widths up.
constexpr double kTipsToCap = 8;

const KindSpec& lettering_kind() {
  static const KindSpec& kind = *find_kind(shape_kinds(), "lettering");
  return kind;
}

/// One piece of lettering, with what its recipe makes of the letters.
struct Words {
  const Project& project;
  const DrawnPiece& drawn;
  const Piece& piece;
  Lettering lettering;
  std::vector<Region> regions;
  double scale = 1;     // mm on the mat to a mm of the lettering
  bool joined = false;  // a step joins the letters
  bool plain = true;    // no step changes outlines but joining and thickening
  double thicker = 0;   // by which steps thicken strokes, mm on the mat
  Role role = Role::cut;
  const Tool* tool = nullptr;

  [[nodiscard]] LineRef whole() const { return {piece.id, ""}; }
  [[nodiscard]] Finding say(const char* code, Severity severity, Figures figures, const char* form = "") const {
    figures["piece"] = piece.name;
    return {code, severity, std::move(figures), {whole()}, {}, form};
  }
  [[nodiscard]] std::string letter(std::size_t i) const { return name_of(lettering, i); }
  [[nodiscard]] Fix change(Said label, Values values) const {
    Fix fix{Fix::Kind::change_step, std::move(label), "", 0, {}, {}};
    fix.step.id = 0;
    fix.step.values = std::move(values);
    return fix;
  }
  [[nodiscard]] FitLimits limits() const {
    return {project.checks.sliver_mm / scale, project.checks.tiny_mm2 / (scale * scale)};
  }
};

/// The values that differ from those the piece has.
Values changed(const Values& before, const Values& after) {
  Values out;
  for (const auto& [key, value] : after) {
    const auto old = before.find(key);
    if (old == before.end() || !(old->second == value)) out[key] = value;
  }
  return out;
}

/// How the letters of joined lettering stand and what would mend them.
struct Mending {
  std::vector<PairFit> fits;
  std::vector<std::optional<double>> shifts;  ///< by pair: what mends one that does not fit, where a shift does
  std::optional<Values> closed_up;
};

/// Worked out once: most edits change something else and ask for the same again.
std::shared_ptr<const Mending> mending_of(const Words& w) {
  static Latest<std::tuple<Values, double, double>, std::shared_ptr<const Mending>> latest{16};
  const Values& values = w.piece.source.values;
  const FitLimits limits = w.limits();
  std::tuple key{values, limits.neck, limits.counter_mm2};
  if (auto known = latest.find(key)) return *known;
  auto out = std::make_shared<Mending>();
  if (w.lettering.letters.size() <= kMostClosedUp) {
    if (auto closed = closed_up(values, limits)) out->closed_up = std::move(*closed);
  }
  out->fits = pair_fits(w.lettering, w.regions, limits);
  std::size_t apart = 0, closed = 0;
  for (const auto& fit : out->fits) {
    const bool is_apart = !fit.touches && ++apart <= kMostPairs, is_closed = fit.closed && ++closed <= kMostPairs;
    out->shifts.push_back(is_apart || is_closed ? mending_shift(w.lettering, w.regions, fit.pair, limits)
                                                : std::nullopt);
  }
  latest.keep(std::move(key), out);
  return out;
}

void pairs(const Words& w, std::vector<Finding>& out) {
  const auto mending = mending_of(w);
  const Values& values = w.piece.source.values;
  auto add = [&](const char* code, const char* form, Figures figures, std::size_t i) {
    const LetterPair& pair = mending->fits[i].pair;
    Finding f = w.say(code, Severity::warning, std::move(figures), form);
    if (const auto shift = mending->shifts[i]; shift && *shift != 0) {
      f.fixes.push_back(w.change(
          {*shift < 0 ? "fix-tighten" : "fix-loosen",
           {{"left", w.letter(pair.left)}, {"right", w.letter(pair.right)}, {"by", std::abs(*shift) * w.scale}}},
          changed(values, with_space_before(values, w.lettering, pair.right, *shift))));
    }
    if (mending->closed_up) {
      if (Values all = changed(values, *mending->closed_up); !all.empty())
        f.fixes.push_back(w.change({"fix-close-up"}, std::move(all)));
    }
    out.push_back(std::move(f));
  };
  std::size_t apart = 0, closed = 0;
  for (std::size_t i = 0; i < mending->fits.size(); ++i) {
    const PairFit& fit = mending->fits[i];
    if (!fit.touches && ++apart <= kMostPairs) {
      Figures figures{{"left", w.letter(fit.pair.left)}, {"right", w.letter(fit.pair.right)}};
      if (fit.gap > 0) figures["gap"] = fit.gap * w.scale;
      add("letters-apart", fit.gap > 0 ? "" : "hardly", std::move(figures), i);
    }
    if (fit.closed && ++closed <= kMostPairs) {
      const auto& c = *fit.closed;
      Figures figures{{"letter", w.letter(c.letter)}, {"was", c.was_mm2 * w.scale * w.scale}};
      if (c.left_mm2 > 0) figures["left"] = c.left_mm2 * w.scale * w.scale;
      add("counter-closed", c.left_mm2 > 0 ? "" : "whole", std::move(figures), i);
    }
  }
  if (apart > kMostPairs || closed > kMostPairs) {
    const std::size_t more = std::max(apart, kMostPairs) - kMostPairs + std::max(closed, kMostPairs) - kMostPairs;
    out.push_back(w.say("letters-apart", Severity::warning, {{"pairs", static_cast<double>(more)}}, "more"));
  }
}

/// Letters that lie over one another although nothing joins them: every overlap would be cut.
void overlaps(const Words& w, std::vector<Finding>& out) {
  const auto all = neighbours(w.lettering);
  const auto meets = [&](const LetterPair& p) { return distance_between(w.regions[p.left], w.regions[p.right]) == 0; };
  const auto n = std::count_if(all.begin(), all.end(), meets);
  if (n == 0) return;
  const auto first = std::find_if(all.begin(), all.end(), meets);
  Finding f =
      w.say("letters-overlap", Severity::warning,
            {{"pairs", static_cast<double>(n)}, {"left", w.letter(first->left)}, {"right", w.letter(first->right)}});
  Fix fix{Fix::Kind::add_step, {"fix-join-letters"}, "", 0, {}, {}};
  fix.step.kind = "join";
  f.fixes.push_back(std::move(fix));
  out.push_back(std::move(f));
}

/// The thinnest stroke and the smallest closed part, told for the tool that follows the outline.
void fitness(const Words& w, std::vector<Finding>& out) {
  const bool cut = w.role == Role::cut;
  const double tip = w.tool ? w.tool->tip_width_mm : 0;
  const double thin_limit = cut ? w.project.checks.sliver_mm : 2 * tip;
  struct Worst {
    std::size_t letter = 0;
    double value = std::numeric_limits<double>::infinity();
  };
  Worst thin, small, narrow;
  std::map<std::vector<unsigned>, double> strokes;  // thinnest stroke by forms, em
  for (std::size_t i = 0; i < w.lettering.letters.size(); ++i) {
    const Letter& letter = w.lettering.letters[i];
    if (letter.blank) continue;
    const auto [known, fresh] = strokes.try_emplace(letter.forms, std::numeric_limits<double>::infinity());
    if (fresh) {
      for (const unsigned form : letter.forms) {
        const double width = narrowest(w.lettering.face->centre_lines(form)).width;
        if (width > 0) known->second = std::min(known->second, width);
      }
    }
    // Narrowed letters are thinned across; the smaller of both scales is on the safe side.
    const double width = known->second * std::min(letter.em_across, letter.em_down) * w.scale + w.thicker;
    if (width < thin.value) thin = {i, width};
    for (const auto& ring : w.regions[i].rings) {
      const double signed_area = signed_area_of(ring);
      Region own{{ring}};
      if (signed_area < 0) std::reverse(own.rings.front().begin(), own.rings.front().end());
      if (w.thicker != 0)
        own = offset(own, (signed_area < 0 ? -w.thicker : w.thicker) / 2 / w.scale, {Corners::round, 4, 0.01});
      const double area = area_of(own) * w.scale * w.scale;
      if (area < small.value) small = {i, area};
      // A counter narrower than the tip fills up.
      if (!cut && tip > 0 && signed_area < 0 && narrow.value > 0 &&
          offset(own, -tip / 2 / w.scale, {Corners::mitre, 4, 0.01}).empty())
        narrow = {i, 0};
    }
  }
  const double cap = w.lettering.cap_height * w.scale;
  auto larger = [&](double factor, Finding& f) {
    // Up to a full millimetre of capitals, so that what is proposed is what people would type.
    const double wanted = std::ceil(cap * factor * 2) / 2;
    const Reading take(lettering_kind(), w.piece.source.values);
    f.fixes.push_back(w.change({"fix-capitals", {{"cap", wanted}}},
                               {{"size", std::min(take.number("size") * wanted / cap, 3000.0)}}));
  };
  if (thin.value < thin_limit) {
    Finding f = w.say("letters-thin", Severity::warning,
                      {{"letter", w.letter(thin.letter)},
                       {"thin", thin.value},
                       {"limit", thin_limit},
                       {"tip", tip},
                       {"wanted", std::ceil(cap * thin_limit / thin.value * 2) / 2},
                       {"cap", cap}},
                      cut ? "" : "tip");
    const double by = std::ceil((thin_limit - thin.value) * 20) / 20;
    Fix fix{Fix::Kind::add_step, {"fix-thicken", {{"by", by}}}, "", 0, {}, {}};
    fix.step.kind = "thicken";
    fix.step.values["by"] = by;
    f.fixes.push_back(std::move(fix));
    larger(thin_limit / thin.value, f);
    out.push_back(std::move(f));
  }
  const double area_limit = w.project.checks.tiny_mm2;
  if (cut && small.value < area_limit) {
    const double factor = std::sqrt(area_limit / std::max(small.value, 1e-6));
    Finding f = w.say("letters-small", Severity::warning,
                      {{"letter", w.letter(small.letter)},
                       {"area", small.value},
                       {"wanted", std::ceil(cap * factor * 2) / 2},
                       {"cap", cap}});
    larger(factor, f);
    out.push_back(std::move(f));
  }
  if (!cut && narrow.value == 0) {
    out.push_back(
        w.say("letters-small", Severity::warning, {{"letter", w.letter(narrow.letter)}, {"tip", tip}}, "tip"));
  }
}

/// Single strokes drawn with a tip that is broad for their height.
void stroke_fitness(const Words& w, std::vector<Finding>& out) {
  const double tip = w.tool ? w.tool->tip_width_mm : 0, cap = w.lettering.cap_height * w.scale;
  if (!(tip > 0) || cap >= kTipsToCap * tip) return;
  const double wanted = std::ceil(kTipsToCap * tip * 2) / 2;
  Finding f = w.say("letters-small", Severity::warning, {{"cap", cap}, {"tip", tip}, {"wanted", wanted}}, "strokes");
  const Reading take(lettering_kind(), w.piece.source.values);
  f.fixes.push_back(
      w.change({"fix-capitals", {{"cap", wanted}}}, {{"size", std::min(take.number("size") * wanted / cap, 3000.0)}}));
  out.push_back(std::move(f));
}

}  // namespace

std::vector<Finding> check_lettering(const Project& project, const Drawing& drawing) {
  std::vector<Finding> out;
  for (const auto& drawn : drawing.pieces) {
    const Piece* piece = find_piece(project, drawn->piece->id);
    if (!piece || piece->source.kind != "lettering" || drawn->piece->lines.empty()) continue;
    Words w{project, *drawn, *piece, set_lettering(piece->source.values), {}};
    if (!w.lettering.face) continue;
    w.scale = std::sqrt(std::abs(piece->placement.determinant()));
    for (const auto& step : piece->steps) {
      if (!step.on) continue;
      const KindSpec* kind = find_kind(step_kinds(), step.kind);
      if (step.kind == "join") {
        w.joined = true;
      } else if (step.kind == "thicken") {
        w.thicker += Reading(*kind, step.values).number("by");
      } else if (kind && kind->group != "Place" && kind->group != "Fill") {
        w.plain = false;
      } else if (step.kind == "scale") {
        w.plain = false;
      }
    }
    const Line& line = drawn->piece->lines.front();
    w.role = line.role;
    w.tool = find_tool(project, line.tool);
    if (!w.lettering.face->about().outlines_allowed) {
      out.push_back(w.say("outlines-reserved", Severity::info, {{"face", w.lettering.face->about().name}}));
    }
    if (!runs(w.role)) continue;
    if (w.lettering.strokes) {
      stroke_fitness(w, out);
      continue;
    }
    w.regions = letter_regions(w.lettering);
    if (w.joined && w.role == Role::cut) {  // what is only marked need not hold together
      pairs(w, out);
    } else if (w.role == Role::cut && w.plain) {
      overlaps(w, out);
    }
    if (w.plain) fitness(w, out);
  }
  return out;
}

}  // namespace dotlane
