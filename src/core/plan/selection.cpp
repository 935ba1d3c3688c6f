#include "core/plan/selection.hpp"

#include <algorithm>

namespace dotlane {

Plan select(const Plan& plan, const ExportSelection& selection) {
  Plan out = plan;
  out.passes.clear();
  out.pauses.clear();
  std::vector<HolderLoad> loads = plan.first_load;  // what the holders have, as the plan goes on
  std::size_t pause = 0;
  const Pause* pending = nullptr;
  for (std::size_t i = 0; i < plan.passes.size(); ++i) {
    if (pause < plan.pauses.size() && plan.pauses[pause].before_pass == i) {
      pending = &plan.pauses[pause++];
      loads = pending->holders;
    }
    if (!selection.takes(plan.passes[i])) continue;
    if (out.passes.empty()) {
      out.first_load = loads;
      for (auto& load : out.first_load) load.take_out.clear(), load.put_in = load.holds;
    } else if (pending) {
      out.pauses.push_back(*pending);
      out.pauses.back().before_pass = out.passes.size();
    }
    pending = nullptr;
    out.passes.push_back(plan.passes[i]);
    Pass& pass = out.passes.back();
    if (!pass.lead.trails() || pass.turn_in) continue;
    // The pass that turned its blade in may not be among them.
    const auto before = std::find_if(out.passes.begin(), out.passes.end() - 1,
                                     [&](const Pass& other) { return other.tool == pass.tool; });
    if (before != out.passes.end() - 1) continue;
    for (std::size_t k = 0; k < i; ++k) {
      if (plan.passes[k].tool == pass.tool && plan.passes[k].turn_in) pass.turn_in = plan.passes[k].turn_in;
    }
    pass.heading = kTurnedIn;
  }
  return out;
}

}  // namespace dotlane
