#include "core/logbook/suggest.hpp"

#include <algorithm>
#include <array>
#include <cmath>

namespace dotlane {
namespace {

// Priors; common practice, no published source. In logarithms but for distances.
constexpr double kMargin = 0.85;                             // presets ask for so much more than it takes
constexpr double kSpread = 0.35;                             // of u and v about their means, shared with alike stocks
constexpr double kOwn = 0.12;                                // and of each stock alone
constexpr double kThick = 0.35, kGrams = 0.35, kKind = 1.2;  // what is one step of unlikeness
struct Prior {
  double mean, sd;
};
const std::array<Prior, 4> kShape{Prior{std::log(14.0), 0.35}, Prior{std::log(14.0), 0.35}, Prior{std::log(0.5), 0.3},
                                  Prior{std::log(0.45), 0.3}};  // ln a, ln b, ln c, ln k; k itself is a logarithm
constexpr double kLeast = 1e-9;                                 // a probability

using Row = std::vector<double>;

double logistic(double x) { return x >= 0 ? 1 / (1 + std::exp(-x)) : std::exp(x) / (1 + std::exp(x)); }

/// L with L L' = the matrix, which is positive definite; else its diagonal is made larger until it is.
std::vector<Row> cholesky(std::vector<Row> m) {
  const std::size_t n = m.size();
  double more = 0;
  for (;;) {
    std::vector<Row> l(n, Row(n, 0));
    bool good = true;
    for (std::size_t i = 0; i < n && good; ++i) {
      for (std::size_t j = 0; j <= i; ++j) {
        double sum = m[i][j] + (i == j ? more : 0);
        for (std::size_t k = 0; k < j; ++k) sum -= l[i][k] * l[j][k];
        if (i != j) {
          l[i][j] = sum / l[j][j];
        } else if (sum > 0) {
          l[i][i] = std::sqrt(sum);
        } else {
          good = false;
          break;
        }
      }
    }
    if (good) return l;
    more = more > 0 ? more * 10 : 1e-10;
  }
}

/// x with L L' x = b.
Row solve(const std::vector<Row>& l, Row b) {
  const std::size_t n = l.size();
  for (std::size_t i = 0; i < n; ++i) {
    for (std::size_t k = 0; k < i; ++k) b[i] -= l[i][k] * b[k];
    b[i] /= l[i][i];
  }
  for (std::size_t i = n; i-- > 0;) {
    for (std::size_t k = i + 1; k < n; ++k) b[i] -= l[k][i] * b[k];
    b[i] /= l[i][i];
  }
  return b;
}

std::vector<Row> inverse(const std::vector<Row>& m) {
  const auto l = cholesky(m);
  std::vector<Row> out(m.size());
  for (std::size_t i = 0; i < m.size(); ++i) {
    Row unit(m.size(), 0);
    unit[i] = 1;
    out[i] = solve(l, std::move(unit));
  }
  return out;
}

/// How alike two stocks are, as the covariance of what they take.
double alike(const KnownStock& a, const KnownStock& b) {
  const auto far = [](double p, double q, double step) { return p > 0 && q > 0 ? std::log(p / q) / step : 0; };
  const double t = far(a.thickness_mm, b.thickness_mm, kThick), g = far(a.grammage_gsm, b.grammage_gsm, kGrams);
  const double k = a.kind == b.kind ? 0 : kKind;
  return kSpread * kSpread * std::exp(-(t * t + g * g + k * k) / 2);
}

/// The probabilities of one cut with their derivatives by u, v, ln a, ln b, ln c, ln k.
struct Cut {
  double through = 0, into = 0;
  std::array<double, 6> d_through{}, d_into{};
};

Cut cut_of(double u, double v, const double* shape, double force, double depth, int repeats) {
  const double a = std::exp(shape[0]), b = std::exp(shape[1]), c = std::exp(shape[2]), k = std::exp(shape[3]);
  const double again = std::log(static_cast<double>(std::max(1, repeats)));
  const double xf = std::log(std::max(1e-3, force)) + c * again - u;
  const bool deep = depth > 0;
  const double xd = deep ? std::log(depth) - v : 0;
  const auto one = [&](double shift, double& p, std::array<double, 6>& d) {
    const double f = logistic(a * (xf - shift)), g = deep ? logistic(b * (xd - shift)) : 1;
    p = f * g;
    const double df = a * f * (1 - f) * g, dg = deep ? b * g * (1 - g) * f : 0;
    d = {-df, -dg, (xf - shift) * df, (xd - shift) * dg, df * c * again, 0};
    if (shift > 0) d[5] = -(df + dg) * k;  // by ln k
  };
  Cut out;
  one(0, out.through, out.d_through);
  one(k, out.into, out.d_into);
  return out;
}

double chance_of(const Cut& cut, CameOut out) {
  return out == CameOut::weak ? 1 - cut.through : out == CameOut::good ? cut.through - cut.into : cut.into;
}

class Fitting {
 public:
  Fitting(const std::vector<KnownStock>& stocks, const std::vector<Tried>& tried)
      : n_(stocks.size()), tried_(tried), mean_(2 * n_ + kShape.size()) {
    std::vector<Row> k(n_, Row(n_));
    for (std::size_t i = 0; i < n_; ++i) {
      mean_[i] = std::log(std::max(1.0, stocks[i].preset_force_gf) * kMargin);
      mean_[n_ + i] = std::log(std::max(0.5, stocks[i].preset_depth) * kMargin);
      for (std::size_t j = 0; j < n_; ++j) k[i][j] = alike(stocks[i], stocks[j]) + (i == j ? kOwn * kOwn : 0);
    }
    const auto precise = inverse(k);
    precision_.assign(mean_.size(), Row(mean_.size(), 0));
    for (std::size_t i = 0; i < n_; ++i) {
      for (std::size_t j = 0; j < n_; ++j) precision_[i][j] = precision_[n_ + i][n_ + j] = precise[i][j];
    }
    for (std::size_t s = 0; s < kShape.size(); ++s) {
      mean_[2 * n_ + s] = kShape[s].mean;
      precision_[2 * n_ + s][2 * n_ + s] = 1 / (kShape[s].sd * kShape[s].sd);
    }
  }

  [[nodiscard]] double cost(const Row& at) const {
    double out = 0;
    for (std::size_t i = 0; i < at.size(); ++i) {
      for (std::size_t j = 0; j < at.size(); ++j) out += (at[i] - mean_[i]) * precision_[i][j] * (at[j] - mean_[j]) / 2;
    }
    for (const auto& t : tried_) {
      if (t.out == CameOut::unsaid || t.out == CameOut::skipped) continue;
      const Cut cut = cut_of(at[t.stock], at[n_ + t.stock], &at[2 * n_], t.force_gf, t.depth, t.repeats);
      out -= std::log(std::max(kLeast, chance_of(cut, t.out)));
    }
    return out;
  }

  /// The mode by Fisher scoring with steps that are halved until they help; `information` is what it is there.
  Row mode(std::vector<Row>& information) const {
    Row at = mean_;
    double now = cost(at);
    constexpr int kRounds = 200;
    for (int round = 0; round < kRounds; ++round) {
      Row gradient(at.size(), 0);
      information = precision_;
      for (std::size_t i = 0; i < at.size(); ++i) {
        for (std::size_t j = 0; j < at.size(); ++j) gradient[i] += precision_[i][j] * (at[j] - mean_[j]);
      }
      for (const auto& t : tried_) add(t, at, gradient, information);
      Row step = solve(cholesky(information), gradient);
      double share = 1, next = now;
      Row there = at;
      for (int half = 0; half < 40; ++half, share /= 2) {
        for (std::size_t i = 0; i < at.size(); ++i) there[i] = at[i] - share * step[i];
        next = cost(there);
        if (next <= now) break;
      }
      if (!(next < now - 1e-12)) break;
      at = std::move(there);
      now = next;
    }
    return at;
  }

  /// The precision there, by what is expected of outcomes.
  [[nodiscard]] std::vector<Row> information(const Row& at) const {
    std::vector<Row> out = precision_;
    Row unused(at.size(), 0);
    for (const auto& t : tried_) add(t, at, unused, out);
    return out;
  }

 private:
  void add(const Tried& t, const Row& at, Row& gradient, std::vector<Row>& information) const {
    if (t.out == CameOut::unsaid || t.out == CameOut::skipped) return;
    const Cut cut = cut_of(at[t.stock], at[n_ + t.stock], &at[2 * n_], t.force_gf, t.depth, t.repeats);
    const std::array<std::size_t, 6> which{t.stock, n_ + t.stock, 2 * n_, 2 * n_ + 1, 2 * n_ + 2, 2 * n_ + 3};
    for (const CameOut out : {CameOut::weak, CameOut::good, CameOut::strong}) {
      const double p = std::max(kLeast, chance_of(cut, out));
      std::array<double, 6> d{};
      for (std::size_t i = 0; i < d.size(); ++i)
        d[i] = out == CameOut::weak   ? -cut.d_through[i]
               : out == CameOut::good ? cut.d_through[i] - cut.d_into[i]
                                      : cut.d_into[i];
      const bool was = out == t.out || (out == CameOut::strong && t.out == CameOut::torn);
      for (std::size_t i = 0; i < d.size(); ++i) {
        if (was) gradient[which[i]] -= d[i] / p;
        for (std::size_t j = 0; j < d.size(); ++j) information[which[i]][which[j]] += d[i] * d[j] / p;
      }
    }
  }

  std::size_t n_;
  const std::vector<Tried>& tried_;
  Row mean_;
  std::vector<Row> precision_;
};

double entropy(double through, double into) {
  double out = 0;
  for (const double p : {1 - through, through - into, into}) {
    if (p > kLeast) out -= p * std::log(p);
  }
  return out;
}

}  // namespace

CutModel::CutModel(std::vector<KnownStock> stocks, const std::vector<Tried>& tried)
    : stocks_(std::move(stocks)), tried_(tried) {
  if (stocks_.empty()) return;
  const Fitting fitting(stocks_, tried_);
  std::vector<Row> information;
  mode_ = fitting.mode(information);
  cost_ = fitting.cost(mode_);
}

std::vector<CutModel::Takes> CutModel::taken_by(std::size_t stock) const {
  std::vector<Tried> others, own;
  for (const auto& t : tried_) {
    if (t.out != CameOut::unsaid && t.out != CameOut::skipped) (t.stock == stock ? own : others).push_back(t);
  }
  const std::size_t n = stocks_.size();
  // What the others say, as a normal distribution of u and v.
  const Fitting fitting(stocks_, others);
  std::vector<Row> information;
  const Row mode = own.empty() ? mode_ : fitting.mode(information);
  if (own.empty()) information = fitting.information(mode);
  const auto l = cholesky(information);
  Row unit(mode.size(), 0);
  unit[stock] = 1;
  const Row by_u = solve(l, unit);
  unit[stock] = 0, unit[n + stock] = 1;
  const Row by_v = solve(l, unit);
  const double uu = by_u[stock], vv = by_v[n + stock], uv = by_u[n + stock];
  const double su = std::sqrt(uu), slope = uv / uu, sv = std::sqrt(std::max(1e-12, vv - uv * slope));
  constexpr int kHalf = 16;
  constexpr double kReach = 3.6;  // standard deviations
  std::vector<Takes> out;
  double best = -1e300;
  for (int i = -kHalf; i <= kHalf; ++i) {
    for (int j = -kHalf; j <= kHalf; ++j) {
      const double a = kReach * i / kHalf, b = kReach * j / kHalf;
      const double u = mode[stock] + a * su, v = mode[n + stock] + slope * a * su + b * sv;
      double weight = -(a * a + b * b) / 2;
      for (const auto& t : own) {
        const Cut cut = cut_of(u, v, &mode_[2 * n], t.force_gf, t.depth, t.repeats);
        weight += std::log(std::max(kLeast, chance_of(cut, t.out)));
      }
      best = std::max(best, weight);
      out.push_back({u, v, weight});
    }
  }
  constexpr double kNegligible = 9;  // e to the minus that
  std::erase_if(out, [&](const Takes& t) { return t.weight < best - kNegligible; });
  double sum = 0;
  for (auto& t : out) sum += t.weight = std::exp(t.weight - best);
  for (auto& t : out) t.weight /= sum;
  return out;
}

std::vector<CutModel::Setting> CutModel::foretold(std::size_t stock, const std::vector<double>& forces,
                                                  const std::vector<double>& depths,
                                                  const std::vector<int>& repeats) const {
  const auto takes = taken_by(stock);
  const double* shape = &mode_[2 * stocks_.size()];
  const double a = std::exp(shape[0]), b = std::exp(shape[1]), c = std::exp(shape[2]), k = std::exp(shape[3]);
  // Force and depth count apart from each other, so each is worked out once for all of the other.
  struct Factor {
    std::vector<double> through, into;
  };
  const auto factor = [&](auto&& logarithm) {
    Factor out;
    for (const auto& t : takes) out.through.push_back(logarithm(t, 0.0)), out.into.push_back(logarithm(t, k));
    return out;
  };
  std::vector<Factor> deep;
  for (const double depth : depths) {
    deep.push_back(factor(
        [&](const Takes& t, double shift) { return depth > 0 ? logistic(b * (std::log(depth) - t.v - shift)) : 1.0; }));
  }
  std::vector<Setting> out;
  for (const int times : repeats) {
    for (const double force : forces) {
      const double pressed = std::log(std::max(1e-3, force)) + c * std::log(static_cast<double>(std::max(1, times)));
      const Factor hard = factor([&](const Takes& t, double shift) { return logistic(a * (pressed - t.u - shift)); });
      for (std::size_t d = 0; d < depths.size(); ++d) {
        double through = 0, into = 0, through2 = 0, into2 = 0, clean2 = 0, inside = 0;
        for (std::size_t i = 0; i < takes.size(); ++i) {
          const double t = hard.through[i] * deep[d].through[i], m = hard.into[i] * deep[d].into[i];
          through += takes[i].weight * t, into += takes[i].weight * m;
          through2 += takes[i].weight * t * t, into2 += takes[i].weight * m * m;
          clean2 += takes[i].weight * (t - m) * (t - m);
          inside += takes[i].weight * entropy(t, m);
        }
        const double clean = through - into;
        const auto spread_of = [](double squares, double mean) {
          return std::sqrt(std::max(0.0, squares - mean * mean));
        };
        out.push_back({force, depths[d], times, through, clean, spread_of(clean2, clean), spread_of(through2, through),
                       spread_of(into2, into), entropy(through, into) - inside});
      }
    }
  }
  return out;
}

std::vector<CutModel::Setting> CutModel::settings(std::size_t stock, const Limits& limits) const {
  constexpr double kStep = 5;  // gf
  std::vector<double> forces, depths;
  for (double force = std::ceil(limits.least_gf / kStep) * kStep; force <= limits.most_gf; force += kStep)
    forces.push_back(force);
  for (double depth = 1; depth <= limits.most_depth; depth += 1) depths.push_back(depth);
  if (depths.empty()) depths.push_back(0);
  std::vector<int> repeats;
  for (int times = 1; times <= std::max(1, limits.most_repeats); ++times) repeats.push_back(times);
  return foretold(stock, forces, depths, repeats);
}

CutModel::Setting CutModel::best(std::size_t stock, const Limits& limits) const {
  constexpr double kRepeat = 0.05;  // another round is worth it only where it is so much surer
  constexpr double kBetter = 1e-3;
  Setting out;
  double value = -1;
  for (const Setting& setting : settings(stock, limits)) {
    const double worth_it = setting.clean - kRepeat * (setting.repeats - 1);
    if (worth_it > value + kBetter) out = setting, value = worth_it;
  }
  return out;
}

CutModel::Setting CutModel::next_test(std::size_t stock, const Limits& limits) const {
  constexpr double kSome = 0.15;  // a test cut that is sure to be spoiled teaches hands nothing
  Setting out;
  Limits once = limits;
  once.most_repeats = 1;
  for (const Setting& setting : settings(stock, once)) {
    if (setting.clean >= kSome && setting.worth > out.worth + 1e-6) out = setting;
  }
  return out.force_gf > 0 ? out : best(stock, limits);
}

}  // namespace dotlane
