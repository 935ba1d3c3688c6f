#include "core/layout/pack/apart.hpp"

#include <algorithm>
#include <array>
#include <limits>
#include <numeric>

namespace dotlane::pack {
namespace {

constexpr int kAnywhere = 60, kNearby = 30;  // places tried by chance
constexpr int kReach = 24;                   // cells: what is nearby
constexpr std::size_t kBettered = 2;         // of these, so many are bettered
constexpr std::array kSteps{16, 8, 4, 2, 1};
constexpr std::array<std::array<int, 2>, 8> kWays{
    {{1, 0}, {-1, 0}, {0, 1}, {0, -1}, {1, 1}, {1, -1}, {-1, 1}, {-1, -1}}};
// After each round what still meets counts more, the worst pair most; the others count less again.
constexpr double kHeavier = 1.2, kWorst = 0.8, kLighter = 0.95;
constexpr int kIdle = 8;           // rounds that came to no less before it gives up
constexpr double kNoticed = 0.98;  // what is called less
constexpr double kMost = std::numeric_limits<double>::max();

class Apart {
 public:
  Apart(std::vector<Laid>& parts, const Grid& grid, int width, int height, std::mt19937& random)
      : parts_(parts),
        grid_(grid),
        width_(width),
        height_(height),
        random_(random),
        weights_(parts.size() * (parts.size() + 1), 1.0) {}

  bool run(int looks, const std::function<bool()>& stop) {
    std::vector<std::size_t> order(parts_.size());
    std::iota(order.begin(), order.end(), std::size_t{0});
    for (Laid& part : parts_) {
      part.x = std::clamp(part.x, 0, std::max(0, width_ - part.as().width));
      part.y = std::clamp(part.y, 0, std::max(0, height_ - part.as().height));
    }
    double least = kMost;
    for (int idle = 0; idle <= kIdle; ++idle) {
      std::shuffle(order.begin(), order.end(), random_);
      for (const std::size_t i : order) {
        if (looks <= 0 || (stop && stop())) return false;
        if (fits(parts_[i]) && weigh(i, parts_[i], kMost) == 0) continue;
        --looks;
        better(i);
      }
      const double met = weigh_anew();
      if (met == 0) return true;
      if (met < kNoticed * least) least = met, idle = 0;
    }
    return false;
  }

 private:
  double& weight(std::size_t i, std::size_t j) { return weights_[std::max(i, j) * parts_.size() + std::min(i, j)]; }
  double& weight_of_taken(std::size_t i) { return weights_[parts_.size() * parts_.size() + i]; }
  [[nodiscard]] int taken(const Laid& at) const {
    return grid_.lowest() < 0 ? 0 : grid_.taken(at.as().body, at.x, at.y);
  }
  [[nodiscard]] static int met(const Laid& a, const Laid& b) {
    return a.as().body_layers.common(b.as().halo_layers, b.x - a.x, b.y - a.y);
  }
  [[nodiscard]] bool fits(const Laid& at) const {
    return at.x >= 0 && at.y >= 0 && at.x + at.as().width <= width_ && at.y + at.as().height <= height_;
  }
  /// What lies under part i there, as it counts; something not less than `enough` once it is clear that it is not less.
  double weigh(std::size_t i, const Laid& at, double enough) {
    double sum = weight_of_taken(i) * taken(at);
    for (std::size_t j = 0; j < parts_.size() && sum < enough; ++j) {
      if (j != i) sum += weight(i, j) * met(at, parts_[j]);
    }
    return sum;
  }
  /// A whole number from 0 to `most`.
  int any(int most) { return most <= 0 ? 0 : std::uniform_int_distribution(0, most)(random_); }

  struct Weighed {
    double weight = kMost;
    Laid at;
  };

  void better(std::size_t i) {
    const int last_pose = static_cast<int>(parts_[i].shape->poses.size()) - 1;
    std::vector<Weighed> best;  // the least first
    const auto keep = [&](const Laid& at) {
      if (!fits(at)) return;
      const double most = best.size() < kBettered ? kMost : best.back().weight;
      const double w = weigh(i, at, most);
      if (w >= most) return;
      if (best.size() == kBettered) best.pop_back();
      best.insert(std::find_if(best.begin(), best.end(), [&](const Weighed& b) { return w < b.weight; }), {w, at});
    };
    keep(parts_[i]);
    for (int n = 0; n < kAnywhere + kNearby && (best.empty() || best.front().weight > 0); ++n) {
      Laid at = parts_[i];
      at.pose = static_cast<std::size_t>(any(last_pose));
      if (n < kAnywhere) {
        at.x = any(width_ - at.as().width), at.y = any(height_ - at.as().height);
      } else {
        at.x += any(2 * kReach) - kReach, at.y += any(2 * kReach) - kReach;
      }
      keep(at);
    }
    Weighed least;
    for (Weighed& b : best) {
      descend(i, b);
      if (b.weight < least.weight) least = b;
      if (least.weight == 0) break;
    }
    if (!best.empty()) parts_[i] = least.at;
  }

  /// Moves and turns step by step to where less lies under the part.
  void descend(std::size_t i, Weighed& b) {
    const std::size_t poses = parts_[i].shape->poses.size();
    const auto try_out = [&](const Laid& next) {
      if (!fits(next)) return false;
      const double w = weigh(i, next, b.weight);
      if (w >= b.weight) return false;
      b = {w, next};
      return true;
    };
    for (const int step : kSteps) {
      for (bool again = true; again && b.weight > 0;) {
        again = false;
        for (const auto& way : kWays) {
          Laid next = b.at;
          next.x += way[0] * step, next.y += way[1] * step;
          again = try_out(next) || again;
        }
      }
      for (const std::size_t turn : {std::size_t{1}, poses - 1}) {
        Laid next = b.at;
        next.pose = (b.at.pose + turn) % poses;
        next.x += (b.at.as().width - next.as().width) / 2, next.y += (b.at.as().height - next.as().height) / 2;
        try_out(next);
      }
    }
  }

  /// How many cells meet in all, or that something does not fit; these count more from now on.
  double weigh_anew() {
    const auto each = [&](const auto& f) {
      for (std::size_t i = 0; i < parts_.size(); ++i) {
        f(weight_of_taken(i), taken(parts_[i]));
        for (std::size_t j = 0; j < i; ++j) f(weight(i, j), met(parts_[i], parts_[j]));
      }
    };
    double sum = 0, most = 0;
    each([&](double&, int n) { sum += n, most = std::max<double>(most, n); });
    if (sum > 0) {
      each([&](double& w, int n) { w = n > 0 ? w * (kHeavier + kWorst * n / most) : std::max(1.0, w * kLighter); });
    }
    const bool all_fit = std::all_of(parts_.begin(), parts_.end(), [&](const Laid& part) { return fits(part); });
    return all_fit ? sum : sum + 1;
  }

  std::vector<Laid>& parts_;
  const Grid& grid_;
  int width_, height_;
  std::mt19937& random_;
  std::vector<double> weights_;  // of each pair, and of each part with what is taken
};

}  // namespace

bool taken_apart(std::vector<Laid>& parts, const Grid& grid, int width, int height, int looks, std::mt19937& random,
                 const std::function<bool()>& stop) {
  const bool small_enough = std::all_of(parts.begin(), parts.end(), [&](const Laid& part) {
    const auto& poses = part.shape->poses;
    return std::any_of(poses.begin(), poses.end(),
                       [&](const Pose& p) { return p.width <= width && p.height <= height; });
  });
  return small_enough && Apart(parts, grid, width, height, random).run(looks, stop);
}

}  // namespace dotlane::pack
