#include "core/job/cutter.hpp"

#include <algorithm>
#include <functional>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// A stroke longer than this many bytes gives its bytes back while it is still being read, so that no stroke can be too
/// long for the sender's window.
constexpr std::size_t kHeldBytes = 8192;

std::string listed(const std::vector<std::string>& holders) {
  std::string out;
  for (std::size_t i = 0; i < holders.size(); ++i) {
    out += (i ? ", " : "") + std::to_string(i + 1) + ": " + (holders[i].empty() ? "nothing" : holders[i]);
  }
  return out;
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
      head_(home_of(machine_)) {}

const std::string& Cutter::tool() const {
  static const std::string none;
  const auto i = static_cast<std::size_t>(holder_ - 1);
  return holder_ >= 1 && i < holders_.size() ? holders_[i] : none;
}

void Cutter::feed(std::string_view bytes) {
  if (faulty_) return;
  std::vector<HpglInstruction> instructions;
  const auto read = parser_.feed(bytes, instructions);
  for (const auto& instruction : instructions) {
    if (!faulty_) take(instruction);
  }
  if (!read && !faulty_) {
    finish_stroke();
    steps_.push_back({Step::Kind::fault, {}, 0, {}, read.error().message, 0, {}});
    faulty_ = true;
  }
  if (state_ == State::waiting && !steps_.empty()) state_ = State::running;
}

void Cutter::end() {
  if (!parser_.empty() && !faulty_) {
    finish_stroke();
    steps_.push_back({Step::Kind::fault, {}, 0, {}, "the stream ends in the middle of an instruction", 0, {}});
  }
  finish_stroke();
  ended_ = true;
  if (state_ == State::waiting) state_ = State::running;
}

void Cutter::add_points(const HpglInstruction& in) {
  for (std::size_t i = 0; i + 1 < in.numbers.size(); i += 2) {
    open_.points.push_back({in.numbers[i] / kHpglPerMm, machine_.mat.height_mm - in.numbers[i + 1] / kHpglPerMm});
  }
}

void Cutter::finish_stroke() {
  if (!open_.points.empty()) {
    open_.kind = pen_down_in_stream_ ? Step::Kind::stroke : Step::Kind::travel;
    steps_.push_back(std::move(open_));
  } else {
    credit_ += open_.bytes;
  }
  open_ = {Step::Kind::stroke, {}, 0, {}, {}, 0, {}};
}

void Cutter::take(const HpglInstruction& in) {
  auto add = [&](Step step) {
    step.bytes = in.bytes;
    finish_stroke();
    steps_.push_back(std::move(step));
  };
  const double first = in.numbers.empty() ? 0 : in.numbers.front();
  if (in.code == "PU" || in.code == "PD" || in.code == "PA") {
    const bool down = in.code == "PD" || (in.code == "PA" && pen_down_in_stream_);
    if (down != pen_down_in_stream_ || !down) finish_stroke();
    pen_down_in_stream_ = down;
    add_points(in);
    if (open_.bytes + in.bytes > kHeldBytes) {
      credit_ += in.bytes;
    } else {
      open_.bytes += in.bytes;
    }
  } else if (in.code == "SP") {
    add({Step::Kind::select, {}, first, {}, {}, 0, {}});
  } else if (in.code == "VS") {
    add({Step::Kind::speed, {}, first * 10, {}, {}, 0, {}});
  } else if (in.code == "CO") {
    const auto marker = marker_from(in.text);
    const auto marks = marks_from(in.text);
    if (marks) {
      add({Step::Kind::marks, {}, static_cast<double>(marks->sheet), {}, {}, 0, marks->marks});
    } else if (in.text == kAsLaid) {
      add({Step::Kind::as_laid, {}, 0, {}, {}, 0, {}});
    } else if (marker) {
      add({Step::Kind::marker, {}, 0, *marker, {}, 0, {}});
    } else {
      credit_ += in.bytes;
    }
  } else if (in.code == "IN" || in.code == "FS") {
    credit_ += in.bytes;  // nothing the simulation would show
  } else {
    add({Step::Kind::fault, {}, 0, {}, "the cutter does not know the instruction " + in.code, 0, {}});
    faulty_ = true;
  }
}

void Cutter::fail_run(std::string problem) {
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
    switch (step.kind) {
      case Step::Kind::select:
        holder_ = static_cast<int>(step.number);
        credit_ += step.bytes;
        break;
      case Step::Kind::speed:
        if (step.number > 0) speed_ = step.number;
        credit_ += step.bytes;
        break;
      case Step::Kind::fault:
        fail_run(step.text);
        return false;
      case Step::Kind::marker:
        credit_ += step.bytes;
        if (step.marker.mat != mat_) found_.clear(), moved_ = {};
        mat_ = step.marker.mat;
        if (step.marker.pause) {
          wanted_ = step.marker;
          ++pauses_;
          state_ = State::paused;
          return false;
        }
        if (!fits(step.marker.holders, holders_)) {
          fail_run("the job wants " + listed(step.marker.holders) + "; the holders have " + listed(holders_));
          return false;
        }
        break;
      case Step::Kind::as_laid:
        credit_ += step.bytes;
        moved_ = {};
        break;
      case Step::Kind::marks: {
        const auto sheet = static_cast<int>(step.number);
        if (const auto known = found_.find(sheet); known != found_.end()) {
          credit_ += step.bytes;
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
          fail_run("holder " + std::to_string(holder_) + " is empty and the job wants to mark with it");
          return false;
        }
        std::vector<Vec> points{head_};
        for (const Vec p : step.points) {
          points.push_back(moved_(p));
          if (!(moved_ == Affine{}) && !machine_.mat_area().grown(0.01).contains(points.back())) {
            fail_run("the printed sheet lies so far from its place that the cut would leave the mat");
            return false;
          }
        }
        motion_ = Motion(points, stroke_ ? pass_limits(machine_, speed_) : travel_limits(machine_));
        lower_ = stroke_ ? machine_.lower_s : 0;
        lift_ = stroke_ ? machine_.lift_s : 0;
        t_ = 0;
        marked_to_ = head_;
        marked_move_ = 0;
        busy_bytes_ = step.bytes;
        busy_ = true;
        return true;
      }
    }
  }
}

bool Cutter::register_sheet(int sheet, const PrintMarks& marks) {
  const std::string name = "sheet " + std::to_string(sheet);
  const auto there = std::find_if(printed_.begin(), printed_.end(),
                                  [&](const PrintedSheet& p) { return p.sheet == sheet && p.load == mat_; });
  if (there == printed_.end()) {
    fail_run("there are no marks of " + name + " on the mat: it has to be printed first");
    return false;
  }
  MarkSensor sensor(*there, seed_ + static_cast<unsigned>(sheet));
  const FoundMarks found = find_marks(std::ref(sensor), machine_.usable_area(), marks);
  if (!found.problem.empty()) {
    fail_run(name + ": " + found.problem);
    return false;
  }
  found_[sheet] = moved_ = found.fit.map;
  registrations_.push_back({sheet, mat_, moved_, found.fit.residual_mm});
  return true;
}

void Cutter::mark_up_to(double t) {
  if (motion_.points().size() < 2) {  // a dot
    if (t >= motion_.seconds()) marks_.push_back({tool(), mat_, {head_, head_}});
    return;
  }
  const std::size_t move = t >= motion_.seconds() ? motion_.points().size() - 2 : motion_.move_at(t);
  Mark mark{tool(), mat_, {marked_to_}};
  for (std::size_t i = marked_move_; i < move; ++i) mark.points.push_back(motion_.points()[i + 1]);
  const Vec here = motion_.position_at(t);
  if (!(mark.points.back() == here)) mark.points.push_back(here);
  marked_move_ = move;
  marked_to_ = here;
  if (mark.points.size() < 2) return;
  double length = 0;
  for (std::size_t i = 1; i < mark.points.size(); ++i) length += distance(mark.points[i - 1], mark.points[i]);
  marked_mm_[mark.tool] += length;
  marks_.push_back(std::move(mark));
}

double Cutter::advance(double seconds) {
  double left = seconds;
  while (state_ == State::running) {
    if (!busy_ && !begin()) break;
    if (left <= 0) break;
    const double total = lower_ + motion_.seconds() + lift_;
    const double step = std::min(left, total - t_);
    t_ += step;
    left -= step;
    seconds_ += step;
    const double moving = std::clamp(t_ - lower_, 0.0, motion_.seconds());
    head_ = motion_.position_at(moving);
    down_ = stroke_ && t_ < total;
    if (stroke_ && (moving > 0 || t_ >= total)) mark_up_to(moving);
    if (t_ >= total) {
      busy_ = false;
      credit_ += busy_bytes_;
    }
  }
  return seconds - left;
}

std::string Cutter::loaded(const std::vector<std::string>& holders) {
  if (state_ != State::paused) return "the cutter is not waiting for tools";
  if (!fits(wanted_.holders, holders)) {
    return "the job wants " + listed(wanted_.holders) + "; the holders have " + listed(holders);
  }
  holders_ = holders;
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
