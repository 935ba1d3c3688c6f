#include "core/check/fill_checks.hpp"

#include <algorithm>
#include <numbers>

#include "core/plan/fill_figures.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/letter_fit.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMostNamed = 5;
constexpr double kThinShare = 0.6;         // of what the rest gets: a person sees it as lighter
constexpr double kOutsideShare = 0.01;     // of the region: less is lost in the tip's own unevenness
constexpr double kMostStrokesTried = 8e3;  // up to which other angles are tried here
// Common practice, no published source: from a quarter of an hour on people plan around a run.
constexpr double kLongSeconds = 15 * 60;

struct Filled {
  const Project& project;
  const DrawnPiece& drawn;
  const Piece& piece;
  const Step& step;
  FillSubject subject;

  [[nodiscard]] Finding say(const char* code, Severity severity, Figures figures) const {
    figures["piece"] = piece.name;
    return {code, severity, std::move(figures), {{piece.id, ""}}};
  }
  [[nodiscard]] Fix change(Said label, Values values) const {
    Fix fix{Fix::Kind::change_step, std::move(label), "", 0, {}, {}};
    fix.step.id = step.id;
    fix.step.values = std::move(values);
    return fix;
  }
};

/// The letters that these parts are or belong to, when the piece is lettering whose letters stand where they were set.
Figures letters_named(const Filled& f, const std::vector<std::size_t>& parts) {
  if (f.piece.source.kind != "lettering") return {};
  for (const auto& step : f.piece.steps) {
    if (step.id == f.step.id) break;
    if (step.on && step.kind != "join" && step.kind != "thicken" && step.kind != "fill") return {};
  }
  const Lettering lettering = set_lettering(f.piece.source.values);
  if (!lettering.face || lettering.strokes) return {};
  const auto regions = letter_regions(lettering);
  const Affine back = frame_of(f.piece.placement).shape.inverse();
  std::vector<std::size_t> letters;
  for (const std::size_t part : parts) {
    const Vec at = back(f.subject.made->parts[part].at);
    for (std::size_t i = 0; i < regions.size(); ++i) {
      if (bounds_of(regions[i]).contains(at) && encloses(regions[i], at)) {
        if (std::find(letters.begin(), letters.end(), i) == letters.end()) letters.push_back(i);
        break;
      }
    }
  }
  std::sort(letters.begin(), letters.end());
  if (letters.empty()) return {};
  std::string names;
  for (std::size_t i = 0; i < std::min(letters.size(), kMostNamed); ++i)
    names += (i == 0 ? "“" : ", “") + name_of(lettering, letters[i]) + "”";
  Figures out{{"letters", names}};
  if (letters.size() > kMostNamed) out["more"] = static_cast<double>(letters.size() - kMostNamed);
  return out;
}

/// How many, and their letters or the place of the first.
Figures these(const Filled& f, const std::vector<std::size_t>& parts) {
  Figures out = letters_named(f, parts);
  if (out.empty()) {
    const Vec at = f.drawn.map(f.subject.made->parts[parts.front()].at);
    out = {{"x", at.x}, {"y", at.y}};
  }
  out["shapes"] = static_cast<double>(parts.size());
  return out;
}

/// Another angle that serves the parts better, when there is one that is worth turning to.
std::optional<Fix> better_angle(const Filled& f, double weakest) {
  const FillOptions& now = f.subject.made->options;
  if (expected_strokes(f.subject.made->region, now) > kMostStrokesTried) return std::nullopt;
  const auto advice = best_angle(f.subject.made->region, now, f.subject.run, 0, AngleGoal::thin, 10);
  if (advice.curve.empty()) return std::nullopt;
  const FillTrial& best = advice.curve[advice.best];
  if (best.weakest_share < weakest + 0.05) return std::nullopt;
  const double turned =
      Reading(*find_kind(step_kinds(), "fill"), f.step.values).is("angle-from", "mat") ? turn_of(f.drawn.map) : 0;
  const double angle = best.options.angle + turned;
  return f.change({"fix-angle", {{"angle", angle}}}, {{"angle", angle}});
}

void empty_and_thin(const Filled& f, std::vector<Finding>& out) {
  const FillMade& made = *f.subject.made;
  const auto bare = unfilled(made.parts.size(), made.all());
  const Coverage& covered = made.coverage(f.subject.run.tip_mm);
  if (!bare.empty() && bare.size() < made.parts.size()) {
    Finding finding = f.say("fill-empty", Severity::warning, these(f, bare));
    if (auto fix = better_angle(f, 0)) finding.fixes.push_back(std::move(*fix));
    if (made.options.inset > f.subject.run.tip_mm / 2)
      finding.fixes.push_back(
          f.change({"fix-inset-half", {{"inset", f.subject.run.tip_mm / 2}}}, {{"inset", f.subject.run.tip_mm / 2}}));
    out.push_back(std::move(finding));
    return;  // the thin ones come next, once none is empty
  }
  std::vector<std::size_t> thin;
  double weakest = 1;
  for (std::size_t i = 0; i < covered.part_share.size(); ++i) {
    if (covered.part_share[i] < kThinShare * covered.share) thin.push_back(i);
    weakest = std::min(weakest, covered.part_share[i]);
  }
  if (thin.empty() || thin.size() == made.parts.size()) return;
  Figures figures = these(f, thin);
  figures["share"] = weakest * 100, figures["together"] = covered.share * 100;
  Finding finding = f.say("fill-thin", Severity::info, std::move(figures));
  if (auto fix = better_angle(f, weakest)) finding.fixes.push_back(std::move(*fix));
  out.push_back(std::move(finding));
}

void outside(const Filled& f, std::vector<Finding>& out) {
  const Coverage& covered = f.subject.made->coverage(f.subject.run.tip_mm);
  const double half = f.subject.run.tip_mm / 2;
  if (covered.outside_mm2 < kOutsideShare * covered.region_mm2 || f.subject.made->options.inset >= half) return;
  Finding finding =
      f.say("fill-outside", Severity::info, {{"tip", f.subject.run.tip_mm}, {"outside", covered.outside_mm2}});
  finding.fixes.push_back(f.change({"fix-inset", {{"inset", half}}}, {{"inset", half}}));
  out.push_back(std::move(finding));
}

void long_run(const Plan& plan, std::vector<Finding>& out) {
  if (plan.running_seconds() < kLongSeconds) return;
  const Pass* longest = nullptr;
  for (const auto& pass : plan.passes) {
    if (!longest || pass.seconds > longest->seconds) longest = &pass;
  }
  out.push_back(
      {"long-run",
       Severity::info,
       {{"minutes", plan.running_seconds() / 60}, {"pass", 1.0 * longest->index}, {"longest", longest->seconds / 60}}});
}

}  // namespace

std::vector<Finding> check_fills(const Project& project, const Drawing& drawing, const Plan& plan) {
  std::vector<Finding> out;
  for (const auto& drawn : drawing.pieces) {
    const Piece* piece = find_piece(project, drawn->piece->id);
    if (!piece || piece->helper) continue;
    for (const auto& step : piece->steps) {
      auto subject = fill_subject(project, *drawn, step.id);
      if (!subject || subject->tool.empty()) continue;
      const Filled f{project, *drawn, *piece, step, std::move(*subject)};
      if (f.subject.made->coats.front().empty()) continue;  // told by the step itself
      empty_and_thin(f, out);
      outside(f, out);
    }
  }
  long_run(plan, out);
  return out;
}

}  // namespace dotlane
