#include "core/logbook/differences.hpp"

#include <algorithm>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// Better is more.
int rank_of(CameOut out) {
  switch (out) {
    case CameOut::good:
      return 3;
    case CameOut::weak:
    case CameOut::strong:
      return 2;
    case CameOut::torn:
      return 1;
    default:
      return 0;
  }
}

}  // namespace

Sayings differences(const LoggedRun& before, const LoggedRun& after) {
  Sayings out;
  const auto numbers = [&](const char* code, double a, double b, const std::string& pass) {
    if (a != b) out.push_back({code, {{"pass", pass}, {"before", a}, {"after", b}}});
  };
  const auto words = [&](const char* code, const std::string& a, const std::string& b, const std::string& pass) {
    if (a != b) out.push_back({code, {{"pass", pass}, {"before", a}, {"after", b}}});
  };
  if (before.passes.size() != after.passes.size())
    out.push_back(
        {"differ-passes",
         {{"before", static_cast<double>(before.passes.size())}, {"after", static_cast<double>(after.passes.size())}}});
  int better = 0, worse = 0;
  for (std::size_t i = 0; i < std::min(before.passes.size(), after.passes.size()); ++i) {
    const LoggedPass &a = before.passes[i], &b = after.passes[i];
    const std::string pass = std::to_string(b.index) + " " + std::string(word(b.role));
    words("differ-tool", a.tool_name, b.tool_name, pass);
    words("differ-stock", a.stock_name, b.stock_name, pass);
    numbers("differ-force", a.force_gf, b.force_gf, pass);
    numbers("differ-depth", a.depth, b.depth, pass);
    numbers("differ-speed", a.speed_mm_s, b.speed_mm_s, pass);
    numbers("differ-repeats", a.repeats, b.repeats, pass);
    if (rank_of(a.came_out) > 0 && rank_of(b.came_out) > 0) {
      better += rank_of(b.came_out) > rank_of(a.came_out);
      worse += rank_of(b.came_out) < rank_of(a.came_out);
    }
  }
  if (better > 0 && worse == 0) out.push_back({"differ-better"});
  if (worse > 0 && better == 0) out.push_back({"differ-worse"});
  if (better > 0 && worse > 0)
    out.push_back({"differ-both", {{"better", static_cast<double>(better)}, {"worse", static_cast<double>(worse)}}});
  return out;
}

}  // namespace dotlane
