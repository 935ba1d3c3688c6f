#include "core/job/cutter.hpp"

#include <algorithm>
#include <cmath>
#include <functional>
#include <numbers>
#include <utility>

#include "core/job/hpgl.hpp"
#include "core/plan/plan.hpp"

namespace dotlane {
namespace {

/// A stroke longer than this many bytes gives its bytes back while it is still being read, so that no stroke can be too
/// long for the sender's window.
constexpr std::size_t kHeldBytes = 8192;

std::string listed(const std::vector<std::string>& holders) {
  std::string out;
  for (std::size_t i = 0; i < holders.size(); ++i) {
    out += (i ? ", " : "") + std::to_string(i + 1) + ": " + (holders[i].empty() ? "–" : holders[i]);
  }
  return out;
}

Said wrong_load(const std::vector<std::string>& wanted, const std::vector<std::string>& there) {
  return {"wrong-load", {{"wanted", listed(wanted)}, {"there", listed(there)}}};
}

/// Nothing is wanted of a holder that the marker leaves empty.
bool fits(const std::vector<std::string>& wanted, const std::vector<std::string>& have) {
  for (std::size_t i = 0; i < wanted.size(); ++i) {
    if (!wanted[i].empty() && (i >= have.size() || have[i] != wanted[i])) return false;
  }
  return true;
}

}  // namespace

Cutter::Cutter(Machine machine, std::vector<std::string> holders, std::vector<PrintedSheet> printed, unsigned seed)
    : machine_(std::move(machine)),
      holders_(std::move(holders)),
      printed_(std::move(printed)),
      seed_(seed),
      reader_(std::make_unique<HpglReader>(machine_.mat.height_mm)),
      head_(home_of(machine_)) {}

void Cutter::set_physics(Physics physics) {
  physics_ = std::move(physics);
  std::stable_sort(physics_.faults.begin(), physics_.faults.end(),
                   [](const Fault& a, const Fault& b) { return a.at_s < b.at_s; });
  random_.seed(physics_.seed);
  hands_have_had({});
}

const std::string& Cutter::tool() const {
  static const std::string none;
  const auto i = static_cast<std::size_t>(holder_ - 1);
  return holder_ >= 1 && i < holders_.size() ? holders_[i] : none;
}

void Cutter::feed(std::string_view bytes) {
  if (faulty_) return;
  std::vector<Command> commands;
  const auto read = reader_->feed(bytes, commands);
  for (const auto& command : commands) {
    if (!faulty_) take(command);
  }
  if (!read && !faulty_) {
    finish_stroke();
    steps_.push_back({.kind = Step::Kind::fault, .why = read.error().said});
    faulty_ = true;
  }
  if (state_ == State::waiting && !steps_.empty()) state_ = State::running;
}

void Cutter::end() {
  if (!faulty_) {
    std::vector<Command> commands;
    const auto read = reader_->end(commands);
    for (const auto& command : commands) take(command);
    finish_stroke();
    if (!read) steps_.push_back({.kind = Step::Kind::fault, .why = read.error().said});
  }
  ended_ = true;
  if (state_ == State::waiting) state_ = State::running;
}

void Cutter::finish_stroke() {
  if (!open_.points.empty()) {
    open_.kind = pen_down_in_stream_ ? Step::Kind::stroke : Step::Kind::travel;
    steps_.push_back(std::move(open_));
  } else {
    credit_ += open_.bytes;
  }
  open_ = {};
}

void Cutter::take(const Command& in) {
  if (in.kind == Command::Kind::up || in.kind == Command::Kind::down) {
    const bool down = in.kind == Command::Kind::down;
    if (down != pen_down_in_stream_ || !down) finish_stroke();
    taken_ += in.bytes;
    pen_down_in_stream_ = down;
    open_.points.insert(open_.points.end(), in.points.begin(), in.points.end());
    if (down) open_.speeds.resize(open_.points.size(), speed_in_stream_);
    open_.end = taken_;
    if (open_.bytes + in.bytes > kHeldBytes) {
      credit_ += in.bytes;
    } else {
      open_.bytes += in.bytes;
    }
    return;
  }
  taken_ += in.bytes;
  if (in.kind == Command::Kind::speed && in.number > 0) {
    speed_in_stream_ = in.number;
    if (pen_down_in_stream_) {  // in the middle of a stroke
      open_.bytes += in.bytes, open_.end = taken_;
      return;
    }
  }
  auto add = [&](Step step) {
    step.bytes = in.bytes, step.end = taken_;
    finish_stroke();
    steps_.push_back(std::move(step));
  };
  switch (in.kind) {
    case Command::Kind::select:
      add({.kind = Step::Kind::select, .number = in.number});
      break;
    case Command::Kind::speed:
      add({.kind = Step::Kind::speed, .number = in.number});
      break;
    case Command::Kind::force:
      add({.kind = Step::Kind::force, .number = in.number});
      break;
    case Command::Kind::note:
      if (const auto depth = depth_from(in.text)) {
        add({.kind = Step::Kind::depth, .number = *depth});
      } else if (const auto marks = marks_from(in.text)) {
        add({.kind = Step::Kind::marks, .number = static_cast<double>(marks->sheet), .marks = marks->marks});
      } else if (in.text == kAsLaid) {
        add({.kind = Step::Kind::as_laid});
      } else if (auto marker = marker_from(in.text)) {
        add({.kind = Step::Kind::marker, .marker = std::move(*marker)});
      } else {
        credit_ += in.bytes;
      }
      break;
    case Command::Kind::fault:
      add({.kind = Step::Kind::fault, .why = in.why});
      faulty_ = true;
      break;
    default:
      credit_ += in.bytes;  // nothing the simulation would show
  }
}

void Cutter::fail_run(Said problem) {
  problem_ = std::move(problem);
  state_ = State::failed;
}

bool Cutter::begin() {
  while (true) {
    if (steps_.empty()) {
      state_ = ended_ ? State::finished : State::waiting;
      return false;
    }
    Step step = std::move(steps_.front());
    steps_.pop_front();
    busy_end_ = step.end;
    switch (step.kind) {
      case Step::Kind::select:
        holder_ = static_cast<int>(std::clamp(step.number, 0.0, 99.0));
        depth_ = 0;  // of the blade in it, until that is said
        credit_ += step.bytes;
        done_ = step.end;
        break;
      case Step::Kind::speed:  // strokes carry theirs
        credit_ += step.bytes;
        done_ = step.end;
        break;
      case Step::Kind::force:
      case Step::Kind::depth:
        (step.kind == Step::Kind::force ? force_ : depth_) = step.number;
        credit_ += step.bytes;
        done_ = step.end;
        break;
      case Step::Kind::fault:
        fail_run(step.why);
        return false;
      case Step::Kind::marker:
        credit_ += step.bytes;
        if (step.marker.mat != mat_) found_.clear(), moved_ = {};
        mat_ = step.marker.mat;
        lay_mat();
        if (step.marker.pause) {
          wanted_ = step.marker;
          pause_end_ = step.end;
          ++pauses_;
          state_ = State::paused;
          return false;
        }
        if (!fits(step.marker.holders, holders_)) {
          fail_run(wrong_load(step.marker.holders, holders_));
          return false;
        }
        done_ = step.end;
        break;
      case Step::Kind::as_laid:
        credit_ += step.bytes;
        done_ = step.end;
        moved_ = {};
        break;
      case Step::Kind::marks: {
        const auto sheet = static_cast<int>(step.number);
        if (const auto known = found_.find(sheet); known != found_.end()) {
          credit_ += step.bytes;
          done_ = step.end;
          moved_ = known->second;
          break;
        }
        if (!register_sheet(sheet, step.marks)) return false;
        // The head is taken to be where it was: way and sensing are in the time.
        stroke_ = false;
        motion_ = Motion({head_}, travel_limits(machine_));
        lower_ = 0, lift_ = machine_.mark_s * static_cast<double>(step.marks.dots.size());
        t_ = 0;
        busy_bytes_ = step.bytes;
        busy_ = true;
        return true;
      }
      case Step::Kind::travel:
      case Step::Kind::stroke: {
        stroke_ = step.kind == Step::Kind::stroke;
        if (stroke_ && tool().empty()) {
          fail_run({"holder-empty", {{"holder", figure(holder_)}}});
          return false;
        }
        std::vector<Vec> points{head_};
        for (const Vec p : step.points) {
          points.push_back(moved_(p));
          if (!(moved_ == Affine{}) && !machine_.mat_area().grown(0.01).contains(physics_.reached(points.back()))) {
            fail_run({"sheet-lies-too-far"});
            return false;
          }
        }
        MotionLimits limits = travel_limits(machine_);
        if (stroke_ && !step.speeds.empty())
          limits = pass_limits(machine_, *std::max_element(step.speeds.begin(), step.speeds.end()));
        motion_ = Motion(points, limits, step.speeds);
        lower_ = stroke_ ? machine_.lower_s : 0;
        lift_ = stroke_ ? machine_.lift_s : 0;
        t_ = 0;
        if (stroke_) set_down();
        marked_to_ = head_;
        marked_move_ = 0;
        marked_mm_here_ = 0;
        busy_bytes_ = step.bytes;
        busy_ = true;
        return true;
      }
    }
  }
}

bool Cutter::register_sheet(int sheet, const PrintMarks& marks) {
  const auto there = std::find_if(printed_.begin(), printed_.end(),
                                  [&](const PrintedSheet& p) { return p.sheet == sheet && p.load == mat_; });
  if (there == printed_.end()) {
    fail_run({"no-print-marks", {{"sheet", figure(sheet)}}});
    return false;
  }
  MarkSensor sensor(*there, seed_ + static_cast<unsigned>(sheet));
  const auto darkness = [&](Vec sent) { return sensor(physics_.reached(sent)); };
  const FoundMarks found = find_marks(darkness, machine_.usable_area(), marks);
  if (found.problem) {
    fail_run({found.problem->code, {{"sheet", figure(sheet)}}});
    return false;
  }
  found_[sheet] = moved_ = found.fit.map;
  registrations_.push_back({sheet, mat_, physics_.reached * moved_, found.fit.residual_mm});
  return true;
}

void Cutter::lay_mat() {
  const int before = std::exchange(in_, mat_);
  const bool again = !lain_.insert(mat_).second;
  if (before == 0 || before == mat_) return;
  slipped_ = {};
  if (!again || physics_.reload_mm <= 0) return;
  const double way = 2 * std::numbers::pi * static_cast<double>(random_()) / static_cast<double>(std::mt19937::max());
  slipped_ = Vec{std::cos(way), std::sin(way)} * physics_.reload_mm;
}

const std::string& Cutter::really() const {
  if (!swapped_ || holders_.size() < 2 || holder_ < 1 || holder_ > 2) return tool();
  return holders_[holder_ == 1 ? 1 : 0].empty() ? tool() : holders_[holder_ == 1 ? 1 : 0];
}

const ToolBody& Cutter::body() const {
  static const ToolBody plain;
  const auto known = physics_.tools.find(really());
  return known == physics_.tools.end() ? plain : known->second;
}

void Cutter::hands_have_had(const std::vector<std::string>& before) {
  for (std::size_t i = 0; i < holders_.size(); ++i) {
    if (i < before.size() && before[i] == holders_[i]) continue;
    tips_.erase(holders_[i]);
  }
}

void Cutter::set_down() {
  const auto chance = [this] { return static_cast<double>(random_()) / static_cast<double>(std::mt19937::max()); };
  const ToolBody& now = body();
  if (!tips_.contains(really())) {  // it points anywhere
    const double angle = now.trail_mm > 0 ? 2 * std::numbers::pi * chance() : 0;
    tips_[really()] = TipFollower(now.trail_mm, now.tip, {std::cos(angle), std::sin(angle)});
  }
  landed_ = {};
  if (physics_.landing_mm > 0) {  // two normal deviates (G. Box, M. Muller, 1958)
    const double far = physics_.landing_mm * std::sqrt(-2 * std::log(std::max(1e-12, 1 - chance())));
    const double way = 2 * std::numbers::pi * chance();
    landed_ = {far * std::cos(way), far * std::sin(way)};
  }
  if (dries_ && now.inks) dry_.insert(really()), dries_ = false;
  if (wears_ && now.edge) worn_.insert(really()), wears_ = false;
}

void Cutter::set_clock(double seconds) {
  seconds_ = seconds;
  meet_faults(true);
}

/// What was met `before` this stream leaves its traces and does not come again.
void Cutter::meet_faults(bool before) {
  constexpr double kMoment = 1e-6;  // s
  for (; met_ < physics_.faults.size() && physics_.faults[met_].at_s <= seconds_ + kMoment; ++met_) {
    switch (physics_.faults[met_].kind) {
      case FaultKind::dry:
        dries_ = true;
        if (down_ && body().inks) dry_.insert(really()), dries_ = false;
        break;
      case FaultKind::wear:
        wears_ = true;
        if (down_ && body().edge) worn_.insert(really()), wears_ = false;
        break;
      case FaultKind::wrong_tool:
        swapped_ = !swapped_;
        break;
      case FaultKind::slip: {
        constexpr double kSlip = 2;  // mm
        std::mt19937 random(physics_.seed + static_cast<unsigned>(met_));
        const double way =
            2 * std::numbers::pi * static_cast<double>(random()) / static_cast<double>(std::mt19937::max());
        slipped_ = slipped_ + Vec{kSlip * std::cos(way), kSlip * std::sin(way)};
        break;
      }
      case FaultKind::jam:
        if (before) break;
        down_ = false;
        fail_run({"head-blocked"});
        break;
      default:
        break;  // of the line, and of the power: whoever serves the cutter sees to these
    }
  }
}

double Cutter::strength() const {
  constexpr double kWorn = 0.5;
  double out = worn_.contains(really()) ? kWorn : 1;
  if (!body().edge) return out;
  const Vec at = physics_.reached(head_);
  for (const auto& lying : physics_.stock) {
    if (lying.mat != mat_ || !lying.area.contains(at)) continue;
    double through = lying.force_gf > 0 ? force_ / lying.force_gf : 1;
    if (lying.depth > 0 && depth_ > 0) through = std::min(through, depth_ / lying.depth);
    return out * through;
  }
  return out;
}

void Cutter::leave_mark(std::vector<Vec> points, double from_mm, double to_mm) {
  const std::string& with = really();
  if (dry_.contains(with)) return;
  double& marked = marked_mm_[with];
  const double lasts = body().lasts_mm;
  double length = 0;
  for (std::size_t i = 1; i < points.size(); ++i) {
    const double step = distance(points[i - 1], points[i]);
    if (lasts > 0 && marked + length <= lasts && marked + length + step > lasts) {  // it ends on the way
      const Vec end = lerp(points[i - 1], points[i], (lasts - marked - length) / step);
      double whole = 0;
      for (std::size_t k = 1; k < points.size(); ++k) whole += distance(points[k - 1], points[k]);
      const double at_mm = from_mm + (to_mm - from_mm) * (lasts - marked) / whole;
      std::vector<Vec> rest{end};
      rest.insert(rest.end(), points.begin() + static_cast<std::ptrdiff_t>(i), points.end());
      points.resize(i);
      points.push_back(end);
      marks_.push_back({with, mat_, std::move(points), strength(), part_, busy_end_, from_mm, at_mm, body().width_mm});
      marked = lasts * (1 + 1e-12);
      (body().edge ? worn_ : dry_).insert(with);
      return leave_mark(std::move(rest), at_mm, to_mm);
    }
    length += step;
  }
  marked += length;
  marks_.push_back({with, mat_, std::move(points), strength(), part_, busy_end_, from_mm, to_mm, body().width_mm});
}

double Cutter::under_way_mm() const {
  return busy_ && stroke_ ? motion_.way_at(std::clamp(t_ - lower_, 0.0, motion_.seconds())) : 0;
}

void Cutter::mark_up_to(double t) {
  TipFollower& tip = tips_[really()];
  const Vec off = landed_ + slipped_;
  if (motion_.points().size() < 2) {  // a dot
    const Vec at = tip.at(physics_.reached(head_) + off);
    if (t >= motion_.seconds()) leave_mark({at, at}, 0, 0);
    return;
  }
  const std::size_t move = t >= motion_.seconds() ? motion_.points().size() - 2 : motion_.move_at(t);
  const auto real = [&](Vec sent) { return physics_.reached(sent) + off; };
  std::vector<Vec> points{tip.at(real(marked_to_))};
  Vec from = marked_to_;
  const auto go = [&](Vec to) {
    tip.move(real(from), real(to), points);
    from = to;
  };
  for (std::size_t i = marked_move_; i < move; ++i) go(motion_.points()[i + 1]);
  const Vec here = motion_.position_at(t);
  if (!(from == here)) go(here);
  marked_move_ = move;
  marked_to_ = here;
  // An edge that turns where it stands comes to the same place again and again.
  constexpr double kSame = 2e-4;
  std::size_t kept = 1;
  for (std::size_t i = 1; i < points.size(); ++i) {
    if (distance(points[i], points[kept - 1]) > kSame) points[kept++] = points[i];
  }
  points.resize(kept);
  const double way = t >= motion_.seconds() ? motion_.length() : motion_.way_at(t);
  const double before = std::exchange(marked_mm_here_, way);
  if (points.size() == 1) points.push_back(points.front());
  leave_mark(std::move(points), before, way);
}

double Cutter::advance(double seconds) {
  double left = seconds;
  while (state_ == State::running) {
    if (!busy_ && !begin()) break;
    if (left <= 0) break;
    const double total = lower_ + motion_.seconds() + lift_;
    double step = std::min(left, total - t_);
    if (met_ < physics_.faults.size() && physics_.faults[met_].at_s > seconds_)
      step = std::min(step, physics_.faults[met_].at_s - seconds_);  // to the very moment
    t_ += step;
    left -= step;
    seconds_ += step;
    const double moving = std::clamp(t_ - lower_, 0.0, motion_.seconds());
    head_ = motion_.position_at(moving);
    const bool over = t_ >= total - 1e-12;
    down_ = stroke_ && !over;
    if (stroke_ && (moving > 0 || over)) mark_up_to(moving);
    if (over) {
      busy_ = false;
      credit_ += busy_bytes_;
      done_ = busy_end_;
    }
    meet_faults();
  }
  return seconds - left;
}

std::optional<Said> Cutter::loaded(const std::vector<std::string>& holders) {
  if (state_ != State::paused) return Said{"cutter-not-waiting"};
  if (!fits(wanted_.holders, holders)) {
    return wrong_load(wanted_.holders, holders);
  }
  const auto before = std::exchange(holders_, holders);
  hands_have_had(before);
  done_ = pause_end_;
  state_ = State::running;
  return {};
}

void Cutter::hold() {
  if (state_ == State::running || state_ == State::waiting) state_ = State::held;
}

void Cutter::resume() {
  if (state_ == State::held) state_ = State::running;
}

void Cutter::cancel() {
  if (state_ == State::finished || state_ == State::failed) return;
  state_ = State::cancelled;
  down_ = false;
  steps_.clear();
}

std::size_t Cutter::take_credit() { return std::exchange(credit_, 0); }

std::vector<Registration> Cutter::take_registrations() { return std::exchange(registrations_, {}); }

std::vector<Mark> Cutter::take_marks() { return std::exchange(marks_, {}); }

}  // namespace dotlane
