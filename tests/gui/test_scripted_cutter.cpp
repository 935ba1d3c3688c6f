// Cutters that send rubbish, fall silent or die, in each state of a run: the run ends with a reason, cancelling always
// works, and the next run goes well.
#include "device/sim_cutter_link.hpp"
#include "driving.hpp"

namespace dotlane::test {

TEST_CASE("a cutter that misbehaves ends the run with a reason, whatever the state") {
  using State = RunController::State;
  struct Case {
    const char* what;
    bool until_pause;  // the run gets as far as a pause
    bool confirm;      // hands confirm there, and an answer is owed
    bool cancel;       // the person gives up
  };
  for (const Case& c : {Case{"dies-at-once", false, false, false},
                        {"never-listens", false, false, false},
                        {"never-listens", false, false, true},
                        {"silent-from-the-start", false, false, false},
                        {"silent-from-the-start", false, false, true},
                        {"rubbish-first", false, false, false},
                        {"dies-running", false, false, false},
                        {"silent-running", false, false, false},
                        {"silent-running", false, false, true},
                        {"rubbish-running", false, false, false},
                        {"dies-paused", true, false, false},
                        {"silent-paused", true, true, false},
                        {"silent-paused", true, false, true}}) {
    INFO(c.what << (c.confirm ? ", confirmed" : "") << (c.cancel ? ", cancelled" : ""));
    qputenv("DOTLANE_CUTTER", c.what);
    auto owned = std::make_unique<SimCutterLink>();
    SimCutterLink* link = owned.get();
    link->setProgram(QStringLiteral(DOTLANE_TEST_DATA "/scripted_cutter.py"));
    constexpr int kShort = 700;
    link->setPatience(c.until_pause ? 10'000 : kShort);  // on a crowded machine it takes a while to get to a pause
    Opened o(std::move(owned), demo());
    auto& run = o.window.run();
    o.run("run-start");
    if (c.until_pause) {
      wait_for(
          [&] {
            const auto* next = o.window.findChild<QPushButton*>(QStringLiteral("confirmLoaded"));
            return run.state() == State::paused && next && next->isVisible();
          },
          10'000);
      link->setPatience(kShort);
      if (c.confirm) click(o.find<QPushButton>("confirmLoaded"));
    }
    if (c.cancel) o.run("run-cancel");
    wait_for([&] { return run.state() == State::over; }, 5000);
    CHECK(run.record().outcome == (c.cancel ? Outcome::cancelled : Outcome::failed));
    CHECK_FALSE(run.problem().isEmpty());
    // A good cutter afterwards.
    o.click("clearRun");
    link->setProgram({});
    link->setPatience(10'000);
    choose(o.find<QComboBox>("scaleBox"), 3);
    o.click("startRun");
    wait_for([&] { return run.state() == State::paused; });
    o.click("cancelRun");
    wait_for([&] { return run.state() == State::over; });
  }
}

}  // namespace dotlane::test
