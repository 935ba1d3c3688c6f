#include "core/trainer/verdict.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/job/outcome.hpp"

namespace dotlane {
namespace {

constexpr double kNear = 0.3;     // mm between a mark and what was wanted
constexpr double kSample = 0.5;   // mm
constexpr double kAllowed = 1.0;  // mm of a run that count for nothing
constexpr double kReload = 0.8;   // mm: a mat that was taken out lies so far beside its place

struct Run {
  Role role = Role::cut;
  int mat = 1;
  std::vector<Vec> points;
  Box bounds;
};

Run run_of(Role role, int mat, std::vector<Vec> points) {
  Run out{role, mat, std::move(points), {}};
  for (const Vec p : out.points) out.bounds.add(p);
  return out;
}

double off(Vec at, const std::vector<Run>& courses, Role role, int mat) {
  double best = std::numeric_limits<double>::infinity();
  for (const auto& course : courses) {
    if (course.role != role || course.mat != mat || !course.bounds.grown(2 * kNear).contains(at)) continue;
    for (std::size_t i = 1; i < course.points.size(); ++i)
      best = std::min(best, distance(at, nearest_on(course.points[i - 1], course.points[i], at)));
  }
  return best;
}

/// How much of the courses lies off all of the others, mm.
double beside(const std::vector<Run>& courses, const std::vector<Run>& others) {
  double out = 0;
  for (const auto& course : courses) {
    for (std::size_t i = 1; i < course.points.size(); ++i) {
      const Vec a = course.points[i - 1], b = course.points[i];
      const double length = distance(a, b);
      const int steps = std::max(1, static_cast<int>(std::ceil(length / kSample)));
      for (int k = 0; k < steps; ++k) {
        if (off(lerp(a, b, (k + 0.5) / steps), others, course.role, course.mat) > kNear) out += length / steps;
      }
      // What turns at a corner has to come there.
      if (off(b, others, course.role, course.mat) > kNear) out += 2 * kAllowed;
    }
  }
  return out;
}

Box around(const std::vector<Run>& courses) {
  Box out;
  for (const auto& course : courses) out.add(course.bounds);
  return out;
}

/// The marks of a run in the order in which they were made, without those that turn a blade in.
std::vector<Run> runs_of(const Job& job, const RunRecord& record, std::vector<const Pass*>* passes) {
  std::vector<Run> out;
  for (const auto& mark : record.marks) {
    if (mark.instruction >= job.instructions.size()) continue;
    const Instruction& made = job.instructions[mark.instruction];
    if (made.stroke == npos || made.pass >= job.plan.passes.size()) continue;
    const Pass& pass = job.plan.passes[made.pass];
    out.push_back(run_of(pass.role, mark.mat, mark.points));
    passes->push_back(&pass);
  }
  return out;
}

/// Light ink over dark ink that was there before, mm.
double tainted_mm(const Project& project, const std::vector<Run>& marks, const std::vector<const Pass*>& passes) {
  constexpr double kDarker = 0.15;  // in luminance
  double out = 0;
  for (std::size_t i = 0; i < marks.size(); ++i) {
    const Tool* pen = find_tool(project, passes[i]->tool);
    if (!pen || passes[i]->role != Role::draw) continue;
    for (std::size_t before = 0; before < i; ++before) {
      const Tool* dark = find_tool(project, passes[before]->tool);
      if (!dark || passes[before]->role != Role::draw || marks[before].mat != marks[i].mat) continue;
      if (luminance(dark->ink) + kDarker > luminance(pen->ink)) continue;
      const std::vector<Run> one{marks[before]};
      for (std::size_t k = 1; k < marks[i].points.size(); ++k) {
        const Vec a = marks[i].points[k - 1], b = marks[i].points[k];
        const double length = distance(a, b);
        const int steps = std::max(1, static_cast<int>(std::ceil(length / (kNear / 2))));
        for (int n = 0; n < steps; ++n) {
          if (off(lerp(a, b, (n + 0.5) / steps), one, Role::draw, marks[i].mat) < kNear) out += length / steps;
        }
      }
    }
  }
  return out;
}

/// Marked on what was cut round before: it may have shifted; mm.
double on_loose_mm(const std::vector<Run>& marks) {
  double out = 0;
  for (std::size_t i = 0; i < marks.size(); ++i) {
    if (marks[i].role == Role::cut) continue;
    for (std::size_t before = 0; before < i; ++before) {
      if (marks[before].role != Role::cut || marks[before].mat != marks[i].mat) continue;
      if (!marks[before].bounds.contains(marks[i].bounds)) continue;
      for (std::size_t k = 1; k < marks[i].points.size(); ++k)
        out += distance(marks[i].points[k - 1], marks[i].points[k]);
      break;
    }
  }
  return out;
}

}  // namespace

Physics physics_of(const Lesson& lesson, const Project& tried) {
  Physics out = physics_of(lesson.real, false);
  out.stock = lying_stock(tried, lesson.real);
  out.reload_mm = kReload;
  return out;
}

bool Verdict::passed() const {
  return !points.empty() && std::all_of(points.begin(), points.end(), [](const Point& p) { return p.holds; });
}

Verdict judge(const Lesson& lesson, const Derived& tried, const Job& job, const RunRecord& record) {
  std::vector<const Pass*> passes;
  std::vector<Run> marks = runs_of(job, record, &passes);
  std::vector<Run> wanted;
  DrawingCache cache;
  for (const auto& pass : derive(lesson.goal, cache).plan.passes) {
    for (const auto& stroke : pass.strokes) wanted.push_back(run_of(pass.role, pass.load, stroke.points()));
  }
  if (lesson.anywhere && !marks.empty() && !wanted.empty()) {
    const Vec by = around(marks).centre() - around(wanted).centre();
    for (auto& course : wanted) {
      for (Vec& p : course.points) p = p + by;
      course = run_of(course.role, course.mat, std::move(course.points));
    }
  }
  const OutcomeReport found = compare(job, record);
  const auto errors = static_cast<double>(std::count_if(
      tried.findings.begin(), tried.findings.end(), [](const Finding& f) { return f.severity == Severity::error; }));
  Verdict out;
  const auto point = [&](const char* code, double mm) { out.points.push_back({{code, {{"mm", mm}}}, mm <= kAllowed}); };
  point("trainer-point/made", beside(wanted, marks));
  point("trainer-point/nothing-else", beside(marks, wanted));
  point("trainer-point/through", found.weak_mm);
  point("trainer-point/mat-unhurt", found.deep_mm);
  point("trainer-point/light-clean", tainted_mm(tried.project, marks, passes));
  point("trainer-point/held", on_loose_mm(marks));
  out.points.push_back({{"trainer-point/second-look", {{"errors", errors}}}, errors == 0});
  out.points.push_back({{"trainer-point/to-its-end", {}}, record.outcome == Outcome::done});
  return out;
}

Verdict judge(const Lesson& lesson, const Project& tried) {
  DrawingCache cache;
  const Derived derived = derive(tried, cache);
  const Job job = compile(derived.plan, tried.machine);
  return judge(lesson, derived, job, rehearse(job, physics_of(lesson, tried)).record);
}

}  // namespace dotlane
