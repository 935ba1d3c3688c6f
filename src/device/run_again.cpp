#include "device/run_again.hpp"

#include "core/format/files.hpp"
#include "core/road.hpp"

namespace dotlane {

Result<RunAgain> run_again(const std::string& folder) {
  const std::string file = folder + "/project.dotlane";
  auto state = read_journal(folder + "/journal.jsonl");
  if (!state) return tl::unexpected<Error>(state.error());
  auto text = read_file(file);
  if (!text) return tl::unexpected<Error>(text.error());
  auto project = load_project(file);
  if (!project) return tl::unexpected<Error>(project.error());
  DrawingCache cache;
  Derived derived = derive(*project, cache);
  for (const bool thoroughly : {false, true}) {  // whichever order it had
    if (thoroughly) derived = with_better_order(std::move(derived));
    auto job = std::make_shared<Job>(compile(derived.plan, project->machine));
    job->printed = laid_by_chance(*project, derived.layout, derived.plan, state->head.laid_seed);
    RunPapers papers = papers_of(job, state->head, *text, physics_of(*project, true));
    if (papers.head == state->head) return RunAgain{std::move(papers), std::move(*project), std::move(*state)};
  }
  return fail(ErrorKind::unsupported, {"run-another-job"}, file);
}

}  // namespace dotlane
