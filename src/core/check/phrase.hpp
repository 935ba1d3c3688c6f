// Figures as findings tell them.
#pragma once

#include <string>

#include "core/text_scan.hpp"

namespace dotlane {

inline std::string mm(double v, int decimals = 2) { return rounded_text(v, decimals) + " mm"; }

inline std::string count(std::size_t n, const char* one, const char* many) {
  return std::to_string(n) + " " + (n == 1 ? one : many);
}

}  // namespace dotlane
