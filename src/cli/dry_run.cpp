#include "cli/dry_run.hpp"

#include <QDir>
#include <QEventLoop>
#include <QTemporaryDir>
#include <QTimer>
#include <QUuid>
#include <algorithm>
#include <filesystem>
#include <memory>

#include "cli/input.hpp"
#include "cli/report.hpp"
#include "core/format/project_json.hpp"
#include "core/job/outcome.hpp"
#include "core/road.hpp"
#include "device/run_again.hpp"
#include "device/sim_cutter_link.hpp"
#include "render/job_export.hpp"
#include "render/print_sheet.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

Json outcome_report(const OutcomeReport& found, int resumed) {
  const auto rounded = [](double v) { return std::round(v * 1e4) / 1e4; };
  return {{"deviation_mm", {{"max", rounded(found.most_mm)}, {"mean", rounded(found.mean_mm)}}},
          {"deviation_at_mm", {rounded(found.worst.x), rounded(found.worst.y)}},
          {"corners_rounded", found.corners_rounded},
          {"gaps_mm", rounded(found.gaps_mm)},
          {"weak_mm", rounded(found.weak_mm)},
          {"into_mat_mm", rounded(found.deep_mm)},
          {"strokes_made", found.made},
          {"strokes_twice", found.twice},
          {"strokes_missing", found.missing},
          {"resumed", resumed}};
}

}  // namespace

int dry_run(Options o, bool json) {
  const auto pictures = o.value("--picture-dir");
  const auto seed = static_cast<unsigned>(o.integer("--seed", 1));
  const auto fault_words = o.values("--fault");
  const auto physics_word = o.one_of("--physics", {"on", "off"});
  const double speed = o.number("--speed", 0), per_mm = number_within(o, "--per-mm", 0.01, 100).value_or(4);
  const auto cutter = o.value("--cutter");
  const auto journal = o.value("--journal"), resume = o.value("--resume");
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  if (cutter && physics_word) refuse({"use-cutter-physics"});
  const auto app = application();
  DrawingCache cache;
  const auto kept = std::make_shared<const Derived>(with_better_order(derive(input.project, cache)));
  const Derived& derived = *kept;
  if (derived.plan.passes.empty()) refuse({"told-no-passes"});
  Physics physics = physics_word == "on" ? physics_of(input.project, true) : Physics{};
  if (cutter) {
    const Project real = load(*cutter).project;
    physics = physics_of(real, true);
    physics.stock = lying_stock(input.project, real);
  }
  physics.seed = seed;
  const double running_s = derived.plan.running_seconds();
  for (std::size_t i = 0; i < fault_words.size(); ++i)
    physics.faults.push_back(need(read_fault(fault_words[i], running_s, seed + static_cast<unsigned>(i))));

  JobRunner runner(std::make_unique<SimCutterLink>());
  runner.setTimeScale(speed);
  QEventLoop loop;
  RunRecord record;
  int resumed = 0;
  QObject::connect(&runner, &JobRunner::paused, &runner,
                   [&](const LoadMarker& wanted) { runner.confirmLoaded(wanted.holders); });
  // Without its journal nothing more is sent: whoever waits at a window can make room, a script is told.
  QTimer hopeless;
  hopeless.setSingleShot(true);
  constexpr int kWaitMs = 2000;
  QObject::connect(&runner, &JobRunner::journalChanged, &runner,
                   [&] { runner.journalProblem().isEmpty() ? hopeless.stop() : hopeless.start(kWaitMs); });
  QObject::connect(&hopeless, &QTimer::timeout, &loop, [&] { loop.exit(1); });
  // As often as something goes wrong, and no oftener.
  const int most = static_cast<int>(physics.faults.size()) + (resume ? 1 : 0);
  QObject::connect(&runner, &JobRunner::finished, &runner, [&](const RunRecord& r) {
    record = r;
    if (r.outcome != Outcome::failed || resumed >= most) return loop.quit();
    ++resumed;
    QTimer::singleShot(0, &runner, [&] { runner.goOn(); });
  });
  std::shared_ptr<const Job> job;
  QTemporaryDir temporary;
  if (resume) {
    const std::string folder =
        std::filesystem::is_directory(*resume) ? *resume : std::filesystem::path(*resume).parent_path().string();
    RunAgain again = need(run_again(folder.empty() ? "." : folder));
    if (again.state.outcome == "done") refuse({"use-run-done"});
    if (again.state.unloaded) refuse({"use-run-unloaded"});
    if (to_json(again.project) != to_json(input.project)) refuse({"use-other-journal"});
    again.papers.physics = physics;
    job = again.papers.job;
    ++resumed;
    const JournalState state = again.state;
    if (!runner.takeUp(std::move(again.papers), QString::fromStdString(folder), state)) refuse(runner.record().problem);
    runner.goOn();
  } else {
    auto made = std::make_shared<Job>(compile(derived.plan, input.project.machine));
    made->printed = laid_by_chance(input.project, derived.layout, derived.plan, seed);
    job = made;
    JournalHead head;
    head.job = QUuid::createUuid().toString(QUuid::Id128).toStdString();
    head.project = input.project.name, head.laid_seed = seed;
    const bool keeps = journal || !physics.faults.empty();
    runner.start(papers_of(job, head, to_json(input.project), physics),
                 !keeps    ? QString()
                 : journal ? QString::fromStdString(*journal)
                           : temporary.filePath(QStringLiteral("run")));
  }
  if (runner.running() && loop.exec() != 0)
    refuse({"use-no-journal", {{"why", runner.journalProblem().toStdString()}}});
  Json report = run_report(record, derived.plan);
  report.update(outcome_report(compare(*job, record), resumed));
  if (!job->printed.empty()) report["printed"] = printed_report(input.project, derived.plan, record, job->printed);
  json ? print_json(report) : print(run_text(report));
  if (pictures) {
    std::error_code status;
    std::filesystem::create_directories(*pictures, status);
    const Print print(kept);
    for (const auto& sheet : input.project.sheets) {
      const std::string path = *pictures + "/sheet-" + std::to_string(sheet.id) + ".png";
      const auto lies = std::find_if(job->printed.begin(), job->printed.end(),
                                     [&](const PrintedSheet& s) { return s.sheet == sheet.id; });
      const Affine placement = lies == job->printed.end() ? Affine{} : lies->placement;
      need(write_png(outcome_image(input.project, record, sheet, per_mm, &print, placement), path));
    }
  }
  return record.outcome == Outcome::done ? 0 : 1;
}

}  // namespace dotlane::cli
