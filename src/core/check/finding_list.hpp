// Findings as a check gathers them.
#pragma once

#include <string>
#include <vector>

#include "core/project/finding.hpp"

namespace dotlane {

/// What checkers have in common: they add findings one by one.
class FindingList {
 protected:
  Finding& add(std::string code, Severity severity, Figures figures, std::vector<LineRef> lines = {},
               std::string form = {}) {
    return out_.emplace_back(
        Finding{std::move(code), severity, std::move(figures), std::move(lines), {}, std::move(form)});
  }
  std::vector<Finding> out_;
};

}  // namespace dotlane
