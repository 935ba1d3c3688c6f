#include "core/logbook/logged_run.hpp"

#include <array>

namespace dotlane {
namespace {

constexpr std::array<std::string_view, kCameOut.size()> kCameOutWords{"", "good", "weak", "strong", "torn", "skipped"};
constexpr std::array<std::string_view, kWeedings.size()> kWeedingWords{"", "easy", "hard"};

}  // namespace

std::string_view word(CameOut out) { return kCameOutWords[static_cast<std::size_t>(out)]; }

std::optional<CameOut> came_out_from(std::string_view text) {
  for (const CameOut out : kCameOut) {
    if (word(out) == text) return out;
  }
  return std::nullopt;
}

std::string_view word(Weeding weeding) { return kWeedingWords[static_cast<std::size_t>(weeding)]; }

std::optional<Weeding> weeding_from(std::string_view text) {
  for (const Weeding weeding : kWeedings) {
    if (word(weeding) == text) return weeding;
  }
  return std::nullopt;
}

}  // namespace dotlane
