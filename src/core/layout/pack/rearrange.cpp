#include "core/layout/pack/rearrange.hpp"

#include <algorithm>
#include <cmath>
#include <limits>

#include "core/geometry/parallel.hpp"

namespace dotlane::pack {
namespace {

constexpr std::size_t kChanges = 4;              // tried in a round, whatever the cores
constexpr std::size_t kMostParts = 600;          // on a sheet: pairs are kept in memory
constexpr int kLooks = 400;                      // at parts, for each change
constexpr double kFull = 0.95;                   // of a sheet's area: more on it than that is not tried
constexpr double kAsLarge = 0.98;                // what goes in exchange is no larger than this share of what comes,
constexpr double kAsSmall = 0.3;                 // and no smaller
constexpr double kBoxCounts = 0.1;               // the last sheet's box, against the area of its parts
constexpr std::size_t kOpens = 4;                // one try of so many, where something waits
constexpr double kWaiting = 1000;                // the area of what waits, against that of what lies
constexpr double kSmaller = 0.9, kLeast = 0.98;  // the share of its area that the box is narrowed to
constexpr double kSlender = 0.3;                 // how much its proportions may change: a logarithm

}  // namespace

Rearranger::Rearranger(const Task& task, double cell_mm) : ground_(task, cell_mm) {
  for (const auto& stand : task.stands) most_.push_back(stand.most);
}

Rearranger::State Rearranger::state_of(const Packing& packing) const {
  State out;
  out.sheets = packing.sheets;
  for (const auto& lies : packing.parts)
    out.parts.push_back({lies.item, lies.sheet, ground_.spot_of(lies, packing.sheets[lies.sheet])});
  for (const std::size_t item : packing.waiting) out.parts.push_back({item, npos, {}});
  out.rank = rank_of(out);
  return out;
}

Packing Rearranger::packing_of(const State& state) const {
  Packing out;
  out.sheets = state.sheets;
  for (const Part& part : state.parts) {
    if (part.sheet == npos) {
      out.waiting.push_back(part.item);
      continue;
    }
    const std::size_t stand = state.sheets[part.sheet];
    const Pose& pose = ground_.shapes[ground_.items[part.item]].poses[part.spot.pose];
    out.parts.push_back(ground_.lies(part.item, part.sheet, stand, pose, part.spot.x, part.spot.y));
    out.parts_mm2 += area(part);
  }
  const Frame last = frame_of(state, state.sheets.size() - 1);
  out.used_mm2 = ground_.mm2(static_cast<double>(last.x1 - last.x0) * (last.y1 - last.y0));
  for (std::size_t s = 0; s + 1 < state.sheets.size(); ++s) out.used_mm2 += ground_.whole[state.sheets[s]];
  return out;
}

Rearranger::Frame Rearranger::frame_of(const State& state, std::size_t sheet) const {
  Frame out{std::numeric_limits<int>::max(), std::numeric_limits<int>::max(), 0, 0};
  for (const Part& part : state.parts) {
    if (part.sheet != sheet) continue;
    const Pose& pose = ground_.shapes[ground_.items[part.item]].poses[part.spot.pose];
    out.x0 = std::min(out.x0, part.spot.x), out.x1 = std::max(out.x1, part.spot.x + pose.width);
    out.y0 = std::min(out.y0, part.spot.y), out.y1 = std::max(out.y1, part.spot.y + pose.height);
  }
  return out;
}

double Rearranger::rank_of(const State& state) const {
  const std::size_t last = state.sheets.size() - 1;
  const Frame frame = frame_of(state, last);
  double out = kBoxCounts * ground_.mm2(static_cast<double>(frame.x1 - frame.x0) * (frame.y1 - frame.y0));
  for (std::size_t s = 0; s < last; ++s) out += ground_.whole[state.sheets[s]];
  for (const Part& part : state.parts) {
    if (part.sheet == last) out += area(part);
    if (part.sheet == npos) out += kWaiting * area(part);
  }
  return out;
}

bool Rearranger::apart(State& state, std::size_t sheet, Frame frame, std::mt19937& random, const Stop& stop) const {
  std::vector<Laid> laid;
  std::vector<Part*> parts;
  const Grid* grid = &ground_.empty[state.sheets[sheet]];
  // A bare sheet's corner does as well; elsewhere it is to stay where it is.
  const bool bare = grid->lowest() < 0;
  std::optional<Grid> around;
  if (!bare && (frame.x0 > 0 || frame.y0 > 0 || frame.x1 < grid->width() || frame.y1 < grid->height())) {
    around = *grid;
    std::vector<Run> outside;
    for (int y = 0; y < grid->height(); ++y) {
      if (y < frame.y0 || y >= frame.y1) {
        outside.push_back({y, 0, grid->width() - 1});
      } else {
        outside.push_back({y, 0, frame.x0 - 1});
        outside.push_back({y, frame.x1, grid->width() - 1});
      }
    }
    around->take(outside, 0, 0);
    grid = &*around;
  }
  const int dx = bare ? frame.x0 : 0, dy = bare ? frame.y0 : 0;
  for (Part& part : state.parts) {
    if (part.sheet != sheet) continue;
    laid.push_back({&ground_.shapes[ground_.items[part.item]], part.spot.pose, part.spot.x - dx, part.spot.y - dy});
    parts.push_back(&part);
  }
  const int width = bare ? frame.x1 - frame.x0 : grid->width(), height = bare ? frame.y1 - frame.y0 : grid->height();
  if (!taken_apart(laid, *grid, width, height, kLooks, random, stop)) return false;
  for (std::size_t i = 0; i < laid.size(); ++i) parts[i]->spot = {laid[i].pose, laid[i].x, laid[i].y};
  return true;
}

std::optional<std::size_t> Rearranger::unused_stand(const State& state) const {
  for (std::size_t stand = 0; stand < most_.size(); ++stand) {
    if (most_[stand] == 0 || std::count(state.sheets.begin(), state.sheets.end(), stand) < most_[stand]) return stand;
  }
  return {};
}

bool Rearranger::exchange(State& state, std::mt19937& random, const Stop& stop) const {
  const auto pick = [&](std::size_t below) { return std::uniform_int_distribution<std::size_t>(0, below - 1)(random); };
  const std::size_t last = state.sheets.size() - 1;
  const bool waits = std::any_of(state.parts.begin(), state.parts.end(), [](const Part& p) { return p.sheet == npos; });
  std::size_t from = last, sheet = last;
  if (waits && pick(2) == 0) {
    from = npos;
    const auto stand = pick(kOpens) == 0 ? unused_stand(state) : std::nullopt;
    if (stand) state.sheets.push_back(*stand);
    sheet = stand ? last + 1 : pick(last + 1);
  } else if (last > 0) {
    sheet = pick(last);
  } else {
    return false;
  }
  std::vector<std::size_t> ours;
  double full = 0;
  for (std::size_t i = 0; i < state.parts.size(); ++i) {
    if (state.parts[i].sheet == from) ours.push_back(i);
    if (state.parts[i].sheet == sheet) full += area(state.parts[i]);
  }
  const Frame frame = from == npos ? Frame{} : frame_of(state, from);
  Part& comes = state.parts[ours[pick(ours.size())]];
  std::vector<Part*> smaller{nullptr};
  for (Part& part : state.parts) {
    if (part.sheet == sheet && area(part) < kAsLarge * area(comes) &&
        (from == npos || area(part) > kAsSmall * area(comes)))
      smaller.push_back(&part);
  }
  Part* goes = smaller[pick(smaller.size())];
  if (full + area(comes) - (goes ? area(*goes) : 0) > kFull * ground_.whole[state.sheets[sheet]]) return false;
  const Grid& grid = ground_.empty[state.sheets[sheet]];
  if (goes) {
    std::swap(comes.spot, goes->spot);
    goes->sheet = from;
    goes->spot.pose = pick(ground_.shapes[ground_.items[goes->item]].poses.size());
  } else {
    comes.spot.x = static_cast<int>(pick(static_cast<std::size_t>(grid.width())));
    comes.spot.y = static_cast<int>(pick(static_cast<std::size_t>(grid.height())));
  }
  comes.sheet = sheet;
  comes.spot.pose = pick(ground_.shapes[ground_.items[comes.item]].poses.size());
  if (!apart(state, sheet, {0, 0, grid.width(), grid.height()}, random, stop)) return false;
  if (from == npos) return true;
  if (ours.size() == 1 && !goes) {
    state.sheets.pop_back();
    return true;
  }
  return !goes || apart(state, from, frame, random, stop);
}

bool Rearranger::narrow(State& state, std::mt19937& random, const Stop& stop) const {
  const std::size_t last = state.sheets.size() - 1;
  const Frame old = frame_of(state, last);
  const Grid& grid = ground_.empty[state.sheets[last]];
  const auto between = [&](double a, double b) { return std::uniform_real_distribution<double>(a, b)(random); };
  const double w = old.x1 - old.x0, h = old.y1 - old.y0, smaller = w * h * between(kSmaller, kLeast);
  double width = std::sqrt(smaller * w / h) * std::exp(between(-kSlender, kSlender));
  width = std::clamp(width, smaller / grid.height(), static_cast<double>(grid.width()));
  const double height = smaller / width;
  Frame frame = old;
  frame.x1 = frame.x0 + static_cast<int>(width), frame.y1 = frame.y0 + static_cast<int>(height);
  if (grid.lowest() >= 0 && (frame.x1 > grid.width() || frame.y1 > grid.height())) return false;
  for (Part& part : state.parts) {
    if (part.sheet != last) continue;
    part.spot.x = old.x0 + static_cast<int>((part.spot.x - old.x0) * width / w);
    part.spot.y = old.y0 + static_cast<int>((part.spot.y - old.y0) * height / h);
  }
  return apart(state, last, frame, random, stop);
}

bool Rearranger::able() const {
  if (!now_) return false;
  std::vector<std::size_t> on(now_->sheets.size());
  for (const Part& part : now_->parts) {
    if (part.sheet != npos) ++on[part.sheet];
  }
  return *std::max_element(on.begin(), on.end()) <= kMostParts;
}

void Rearranger::offer(const Packing& packing) {
  if (packing.sheets.empty()) return;
  State state = state_of(packing);
  if (now_ && now_->rank <= state.rank) return;
  now_ = std::move(state);
}

std::optional<Packing> Rearranger::improve(std::mt19937& random, const Stop& stop) {
  if (!now_) return {};
  struct Try {
    State state;
    std::mt19937 random;
    bool done = false;
  };
  std::vector<Try> tries;
  for (std::size_t i = 0; i < kChanges; ++i)
    tries.push_back({*now_, std::mt19937(static_cast<unsigned>(random())), false});
  for_each_index(tries.size(), 2, [&](std::size_t i) {
    Try& t = tries[i];
    t.done = t.random() % 2 == 0 ? narrow(t.state, t.random, stop) : exchange(t.state, t.random, stop);
  });
  if (stop && stop()) return {};
  std::optional<Packing> best;
  for (Try& t : tries) {
    if (!t.done) continue;
    t.state.rank = rank_of(t.state);
    if (t.state.rank < now_->rank) now_ = t.state;
    Packing packing = packing_of(t.state);
    if (!best || ground_.cost_of(packing) < ground_.cost_of(*best)) best = std::move(packing);
  }
  return best;
}

}  // namespace dotlane::pack
