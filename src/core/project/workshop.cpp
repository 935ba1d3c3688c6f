#include "core/project/workshop.hpp"

#include <algorithm>

namespace dotlane {
namespace {

template <class Things>
void take_over(Things& into, const Things& from) {
  for (const auto& thing : from) {
    const auto at = std::find_if(into.begin(), into.end(), [&](const auto& known) { return known.id == thing.id; });
    if (at == into.end())
      into.push_back(thing);
    else
      *at = thing;
  }
}

}  // namespace

Project with_workshop(Project project, const Project& from) {
  take_over(project.tools, from.tools);
  take_over(project.stocks, from.stocks);
  project.machine = from.machine;
  return project;
}

}  // namespace dotlane
