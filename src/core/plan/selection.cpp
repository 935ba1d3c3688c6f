#include "core/plan/selection.hpp"

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
  }
  return out;
}

}  // namespace dotlane
