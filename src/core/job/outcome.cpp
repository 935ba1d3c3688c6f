#include "core/job/outcome.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/geometry/parallel.hpp"
#include "core/median.hpp"

namespace dotlane {
namespace {

struct OneRun {
  double most = 0, sum = 0;
  std::size_t samples = 0, rounded = 0;
  Vec worst;
  double gap = 0, again = 0;
  bool dot = false;
};

constexpr double kStep = 0.25;   // mm between samples
constexpr double kWindow = 6;    // mm of the head's way: farther along, a course is somewhere else
constexpr double kSlack = 0.3;   // mm of the head's way that count for nothing
constexpr double kTurn = 0.866;  // cosine of 30 degrees

class Along {
 public:
  Along(const std::vector<Vec>& head, const std::vector<Vec>& course) : course_(course) {
    way_.push_back(0);
    for (std::size_t i = 1; i < head.size(); ++i) way_.push_back(way_.back() + distance(head[i - 1], head[i]));
  }
  [[nodiscard]] double length() const { return way_.back(); }
  [[nodiscard]] double way(std::size_t i) const { return way_[i]; }
  [[nodiscard]] double off(Vec at, double way) const {
    double best = std::numeric_limits<double>::infinity();
    auto i = static_cast<std::size_t>(std::lower_bound(way_.begin(), way_.end(), way - kWindow) - way_.begin());
    i = std::max<std::size_t>(i, 1);
    for (; i < course_.size(); ++i) {
      best = std::min(best, distance(at, nearest_on(course_[i - 1], course_[i], at)));
      if (way_[i - 1] > way + kWindow) break;
    }
    if (course_.size() == 1) best = distance(at, course_.front());
    if (std::isinf(best)) best = distance(at, nearest_on(course_[course_.size() - 2], course_.back(), at));
    return best;
  }

 private:
  const std::vector<Vec>& course_;
  std::vector<double> way_;
};

OneRun judge(const HeadRun& run, const Affine& lies, const std::vector<const Mark*>& marks) {
  OneRun out;
  std::vector<Vec> course = run.course();
  for (Vec& p : course) p = lies(p);
  const Along along(run.head, course);
  out.dot = along.length() < 1e-9;
  if (out.dot) {
    for (std::size_t i = 0; i < marks.size(); ++i) {
      const double d = distance(marks[i]->points.front(), course.front());
      out.sum += d, ++out.samples;
      if (d >= out.most) out.most = d, out.worst = marks[i]->points.front();
    }
    out.gap = marks.empty() ? 1 : 0;
    out.again = static_cast<double>(marks.size()) - 1;
    return out;
  }
  std::vector<std::pair<double, double>> covered;
  std::vector<std::pair<double, double>> all;  // how far off, over what length
  for (const Mark* mark : marks) {
    covered.emplace_back(mark->from_mm, mark->to_mm);
    double length = 0;
    for (std::size_t i = 1; i < mark->points.size(); ++i) length += distance(mark->points[i - 1], mark->points[i]);
    const auto look = [&](Vec at, double gone, double stands_for) {
      const double share = length > 0 ? gone / length : 0;
      const double d = along.off(at, mark->from_mm + (mark->to_mm - mark->from_mm) * share);
      out.sum += d, ++out.samples;
      all.emplace_back(d, stands_for);
      if (d > out.most) out.most = d, out.worst = at;
    };
    look(mark->points.front(), 0, 0);
    double gone = 0;
    for (std::size_t i = 1; i < mark->points.size(); ++i) {
      const Vec a = mark->points[i - 1], b = mark->points[i];
      const double l = distance(a, b);
      const int steps = std::max(1, static_cast<int>(std::ceil(l / kStep)));
      for (int k = 1; k <= steps; ++k)
        look(lerp(a, b, static_cast<double>(k) / steps), gone + l * k / steps, l / steps);
      gone += l;
    }
  }
  // Corners: does any mark of this stretch come near? What is off all along, landed beside its course, rounds none.
  const double usual = weighted_median(all);
  for (std::size_t i = 1; i + 1 < course.size() && !marks.empty(); ++i) {
    std::size_t before = i, after = i;  // an edge that turns where it stands is one place
    while (before > 0 && distance(course[before], course[i]) < 1e-9) --before;
    while (after + 1 < course.size() && distance(course[after], course[i]) < 1e-9) ++after;
    const Vec u = course[i] - course[before], v = course[after] - course[i];
    if (norm(u) == 0 || norm(v) == 0 || dot(u, v) > kTurn * norm(u) * norm(v)) continue;
    double best = std::numeric_limits<double>::infinity();
    bool reached = false;
    for (const Mark* mark : marks) {
      if (mark->to_mm < along.way(i) - kWindow || mark->from_mm > along.way(i) + kWindow) continue;
      reached = reached || mark->to_mm > along.way(i);
      for (std::size_t k = 1; k < mark->points.size(); ++k)
        best = std::min(best, distance(course[i], nearest_on(mark->points[k - 1], mark->points[k], course[i])));
    }
    if (reached && best - usual > kRounded) ++out.rounded;
    if (reached && std::isfinite(best) && best > out.most) out.most = best, out.worst = course[i];
    i = std::max(i, after - 1);
  }
  std::sort(covered.begin(), covered.end());
  double end = 0;
  for (const auto& [from, to] : covered) {
    if (from > end + 1e-6) out.gap += from - end;
    out.again += std::max(0.0, std::min(end, to) - from);
    end = std::max(end, to);
  }
  out.gap += std::max(0.0, along.length() - end);
  return out;
}

}  // namespace

OutcomeReport compare(const Job& job, const RunRecord& record) {
  std::map<std::size_t, std::vector<const Mark*>> marks;
  for (const auto& mark : record.marks) {
    if (mark.instruction < job.instructions.size() && !mark.points.empty()) marks[mark.instruction].push_back(&mark);
  }
  std::vector<std::size_t> runs;
  for (std::size_t i = 0; i < job.instructions.size(); ++i) {
    if (std::holds_alternative<RunHead>(job.instructions[i].what) && job.instructions[i].stroke != npos)
      runs.push_back(i);
  }
  std::vector<OneRun> judged(runs.size());
  const Affine sent = reached(job.machine).inverse();
  constexpr std::size_t kWorth = 200;
  for_each_index(runs.size(), kWorth, [&](std::size_t n) {
    const Instruction& instruction = job.instructions[runs[n]];
    Affine lies;
    const Pass& pass = job.plan.passes[instruction.pass];
    for (const auto& found : record.registrations) {
      if (pass.marks && found.sheet == pass.sheet) lies = found.map * sent;
    }
    const auto known = marks.find(runs[n]);
    judged[n] = judge(std::get<RunHead>(instruction.what), lies,
                      known == marks.end() ? std::vector<const Mark*>{} : known->second);
  });
  OutcomeReport out;
  double sum = 0;
  std::size_t samples = 0;
  for (std::size_t n = 0; n < runs.size(); ++n) {
    const OneRun& one = judged[n];
    const bool twice = one.dot ? one.again > 0 : one.again > kSlack, missing = one.dot ? one.gap > 0 : one.gap > kSlack;
    out.twice += twice, out.missing += missing, out.made += !twice && !missing;
    if (!one.dot) out.gaps_mm += one.gap, out.twice_mm += std::max(0.0, one.again);
    out.corners_rounded += one.rounded;
    sum += one.sum, samples += one.samples;
    if (one.most > out.most_mm) {
      out.most_mm = one.most, out.worst = one.worst;
      out.worst_pass = job.instructions[runs[n]].pass;
      out.worst_mat = job.plan.passes[out.worst_pass].load;
    }
  }
  for (const auto& [instruction, made] : marks) {
    for (const Mark* mark : made) {
      double length = 0;
      for (std::size_t i = 1; i < mark->points.size(); ++i) length += distance(mark->points[i - 1], mark->points[i]);
      (mark->strength < kThrough ? out.weak_mm : mark->strength > kScars ? out.deep_mm : length) += length;
    }
  }
  if (samples > 0) out.mean_mm = sum / static_cast<double>(samples);
  return out;
}

}  // namespace dotlane
