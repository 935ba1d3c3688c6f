// What to set now: force, blade depth and repeats for a stock, a tool and a role, by what came of them before.
//
// A blade goes through when it is pressed hard enough and stands out far enough, and into the mat when both are so by a
// factor more. So there are two thresholds a stock, of force and of depth, and
//   P(through) = s(a (ln f + c ln r - u)) s(b (ln d - v)),   P(into the mat) = the same with u + k and v + k,
// with s the logistic function, f, d, r force, depth mark and repeats, u and v the logarithms of what the stock takes,
// a and b how sharp that is, c what repeats are worth and k the factor between through and too deep. Both probabilities
// rise with force, depth and repeats, whatever the parameters, as long as a, b, c are positive, which they are by
// construction (they are estimated as logarithms); an outcome never speaks for less being more.
//
// u and v of all stocks are a Gaussian process over thickness, grammage and kind with the presets as its mean, so that
// stocks that are alike learn from each other; a, b, c, k have priors of their own. The posterior's mode is found by
// Fisher scoring. What a stock takes, once its own passes are known, is no normal distribution (a cut that came out
// well says "no more than this", and nothing else), so for the stock that is asked about it is worked out on a grid of
// u and v: what the other stocks say of it, by Laplace's approximation, times what its own passes say. (C. E.
// Rasmussen, C. K. I. Williams, "Gaussian Processes for Machine Learning", 2006, sections 3.4 to 3.6, on Laplace's
// approximation and on leaving one out; from memory. The tests hold the mode against scipy's own minimiser.)
#pragma once

#include <string>
#include <vector>

#include "core/logbook/logged_run.hpp"

namespace dotlane {

/// A stock that is asked about or was tried.
struct KnownStock {
  std::string id, kind;  ///< kind: stocks of the same kind are more alike
  double thickness_mm = 0.2, grammage_gsm = 0;
  double preset_force_gf = 100, preset_depth = 3;  ///< what is on the shelf: meant to go through well
  friend bool operator==(const KnownStock&, const KnownStock&) = default;
};

/// One pass, weeded.
struct Tried {
  std::size_t stock = 0;           ///< index
  double force_gf = 0, depth = 0;  ///< depth 0: nobody sets it
  int repeats = 1;
  CameOut out = CameOut::good;  ///< torn counts as too strong; skipped and unsaid not at all
};

class CutModel {
 public:
  /// Fits the model; quick up to some fifty stocks and thousands of passes.
  CutModel(std::vector<KnownStock> stocks, const std::vector<Tried>& tried);

  struct Limits {
    double least_gf = 10, most_gf = 350;
    double most_depth = 10;  ///< marks; 0: depth is not set
    int most_repeats = 3;
  };
  struct Setting {
    double force_gf = 0, depth = 0;
    int repeats = 1;
    double through = 0, clean = 0;  ///< the chance that it cuts through, and that it leaves the mat unhurt as well
    /// How unsure the model is of them, as standard deviations: of `clean`, of `through`, of into_mat().
    double spread = 0, through_spread = 0, mat_spread = 0;
    /// How much the outcome of such a cut would tell of what the stock takes, in nats: the entropy of what is foretold
    /// less the mean entropy for each of what it may take.
    double worth = 0;
    [[nodiscard]] double into_mat() const { return through - clean; }
  };
  /// What is foretold of these forces, depths (0: not set) and repeats, each with each.
  [[nodiscard]] std::vector<Setting> foretold(std::size_t stock, const std::vector<double>& forces_gf,
                                              const std::vector<double>& depths, const std::vector<int>& repeats) const;
  /// Every setting that hands can make, forces in steps of 5 gf.
  [[nodiscard]] std::vector<Setting> settings(std::size_t stock, const Limits& limits) const;
  /// What cuts clean most surely; of what is as good, the least force.
  [[nodiscard]] Setting best(std::size_t stock, const Limits& limits) const;
  /// The cut that tells most and has some chance to be clean itself.
  [[nodiscard]] Setting next_test(std::size_t stock, const Limits& limits) const;

  /// The mode: u and v of each stock, then ln a, ln b, ln c, ln k; and minus the logarithm of the posterior there, but
  /// for a constant.
  [[nodiscard]] const std::vector<double>& mode() const { return mode_; }
  [[nodiscard]] double cost() const { return cost_; }
  [[nodiscard]] const std::vector<KnownStock>& stocks() const { return stocks_; }

 private:
  /// What a stock may take, and how likely that is; they sum up to 1.
  struct Takes {
    double u = 0, v = 0, weight = 0;
  };
  [[nodiscard]] std::vector<Takes> taken_by(std::size_t stock) const;
  std::vector<KnownStock> stocks_;
  std::vector<Tried> tried_;
  std::vector<double> mode_;
  double cost_ = 0;
};

}  // namespace dotlane
