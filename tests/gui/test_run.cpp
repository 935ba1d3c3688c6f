// Runs in real hands: broken off and gone on with, passes left out and made again, cards ticked off, and how blades and
// tabs are set.
#include <QCheckBox>
#include <QComboBox>
#include <QDir>
#include <QStandardPaths>

#include "app/notice.hpp"
#include "app/run_shelf.hpp"
#include "core/format/files.hpp"
#include "core/job/hpgl.hpp"
#include "device/sim_cutter_link.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

using State = RunController::State;

struct Running {
  SimCutterLink* link = nullptr;
  std::unique_ptr<Opened> o;
  explicit Running(const QString& path = demo()) {
    auto owned = std::make_unique<SimCutterLink>();
    link = owned.get();
    o = std::make_unique<Opened>(std::move(owned), path);
    o->stage(Stage::run);
  }
  /// Whether a label of the window says this.
  bool reads(const QString& text) {
    for (const auto* label : o->window.findChildren<QLabel*>()) {
      if (label->isVisible() && label->text().contains(text)) return true;
    }
    return false;
  }
  RunController& run() { return o->window.run(); }
  void start(int scale) {
    choose(o->find<QComboBox>("scaleBox"), scale);
    o->click("startRun");
  }
  /// Confirms pauses until it is over.
  void to_the_end() {
    for (;;) {
      wait_for([&] { return run().state() == State::paused || run().state() == State::over; });
      if (run().state() == State::over) break;
      const int pauses = run().record().pauses;
      o->session().settle();
      o->click("confirmLoaded");
      wait_for([&] { return run().state() != State::paused || run().record().pauses > pauses; });
    }
    wait_for([&] { return run().outcome().has_value(); });
    o->session().settle();
  }
  void check_once() {
    REQUIRE(run().record().outcome == Outcome::done);
    CHECK(run().outcome()->missing == 0);
    CHECK(run().outcome()->twice == 0);
    CHECK(run().outcome()->made == run().strokes().all);
  }
};

void forget_runs() {
  QDir(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/runs")).removeRecursively();
}

}  // namespace

TEST_CASE("a run whose cutter died goes on from its card, and the outcome is told") {
  Running r;
  r.start(1);  // eight times as fast
  wait_for([&] { return r.run().head().seconds > 1.5; });
  r.link->process().kill();
  wait_for([&] { return r.run().state() == State::over; });
  r.o->session().settle();
  CHECK(r.o->find("goOnCard")->isVisible());
  const auto strokes = r.run().strokes();
  CHECK(strokes.made < strokes.all);
  CHECK(r.reads("strokes are made"));
  r.o->click("goOnRun");
  r.run().setTimeScale(0);
  r.to_the_end();
  r.check_once();
  CHECK(r.o->find<QLabel>("strokesMade")->text().startsWith(QString::number(strokes.all)));
  CHECK(r.o->find<QLabel>("farthestOff")->text().endsWith(QStringLiteral("mm")));
  // All of it is within the panel.
  QTest::qWait(1);
  const auto* panel = r.o->find("runPanel");
  for (const char* name : {"strokesMade", "farthestOff", "meanOff", "cornersRounded"}) {
    const auto* label = r.o->find<QLabel>(name);
    CHECK(label->mapTo(panel, QPoint(label->width(), 0)).x() <= panel->width() - 16);
  }
  CHECK(r.o->window.findChildren<QWidget*>(QStringLiteral("goOnCard")).isEmpty());
}

TEST_CASE("a mat that was taken out is not gone on with") {
  Running r;
  r.start(1);
  wait_for([&] { return r.run().head().seconds > 0.5; });
  r.o->click("cancelRun");
  wait_for([&] { return r.run().state() == State::over; });
  r.o->session().settle();
  r.o->click("matTakenOut");
  CHECK_FALSE(r.run().canGoOn());
  r.o->find("clearRun");
  CHECK(r.o->window.findChildren<QWidget*>(QStringLiteral("goOnCard")).isEmpty());
}

TEST_CASE("a run that ended with its window is offered by the next one, and finished to the stroke") {
  forget_runs();
  {
    Running r;
    r.start(1);
    wait_for([&] { return r.run().head().seconds > 1; });
  }
  REQUIRE(broken_runs().size() == 1);
  Running r{QString()};
  r.o->window.offerBrokenRun();
  auto* notice = r.o->window.findChild<Notice*>();
  wait_for([&] { return notice->isVisible(); });
  CHECK(notice->message().contains(QStringLiteral("Lighthouse card")));
  r.run().setTimeScale(0);
  CHECK(r.run().state() == State::idle);
  r.o->answer(QStringLiteral("Take it up"));
  wait_for([&] { return r.run().state() == State::over; });
  r.o->session().settle();
  CHECK(r.o->project().name == "Lighthouse card");
  CHECK(r.o->find("goOnCard")->isVisible());  // nothing moves unasked
  CHECK(r.reads("Nothing moves before you go on"));
  r.o->click("goOnRun");
  wait_for([&] { return r.run().state() != State::over || r.run().outcome(); });
  r.to_the_end();
  r.check_once();
  CHECK(broken_runs().empty());
}

TEST_CASE("a broken run can be let be, and is asked about no more") {
  forget_runs();
  {
    Running r;
    r.start(1);
    wait_for([&] { return r.run().head().seconds > 0.5; });
  }
  REQUIRE(broken_runs().size() == 1);
  Running r{QString()};
  r.o->window.offerBrokenRun();
  wait_for([&] { return r.o->window.findChild<Notice*>()->isVisible(); });
  r.o->answer(QStringLiteral("Let it be"));
  wait_for([&] { return broken_runs().empty(); });
  CHECK(r.run().state() == State::idle);
}

TEST_CASE("while it is held, a pass is made once more, and one is left out") {
  Running r;
  r.start(0);  // slowly, to be sure to be in the middle of the first stroke
  wait_for([&] { return r.run().record().marked_mm.contains("pen-c77f0a"); });
  r.o->click("holdRun");
  REQUIRE(r.run().currentPass() == 1);
  r.run().setTimeScale(0);
  r.o->click("repeatPass");
  r.to_the_end();
  CHECK(r.run().record().outcome == Outcome::done);
  CHECK(r.run().outcome()->missing == 0);
  CHECK(r.run().outcome()->twice > 0);
  CHECK(r.o->find<QLabel>("strokesTwice")->isVisible());
  r.o->click("clearRun");
  r.start(1);
  wait_for([&] { return r.run().head().seconds > 0.3; });
  r.o->click("holdRun");
  r.run().setTimeScale(0);
  r.o->click("leavePass");
  r.to_the_end();
  CHECK(r.run().record().outcome == Outcome::done);
  CHECK(r.run().outcome()->missing > 0);
  CHECK(r.run().outcome()->twice == 0);
}

TEST_CASE("what if the mat slips: the outcome says by how much, and the ring says where") {
  Running r;
  choose(r.o->find<QComboBox>("whatIfBox"), QStringLiteral("slip"));
  r.start(3);
  r.to_the_end();
  CHECK(r.run().outcome()->most_mm > 0.5);
  CHECK(r.reads("the ring on the bench"));
  const double before = r.o->bench().view().px_per_mm;
  r.o->click("showFarthest");
  CHECK(r.o->bench().view().px_per_mm > before);
}

TEST_CASE("points of a card are ticked off and stand in the journal") {
  forget_runs();
  Running r;
  r.start(3);
  wait_for([&] { return r.run().state() == State::paused; });
  r.o->session().settle();
  QCheckBox* point = nullptr;
  for (auto* box : r.o->find("pauseCard")->findChildren<QCheckBox*>(QStringLiteral("cardPoint"))) {
    if (box->isVisible() && !point) point = box;
  }
  REQUIRE(point);
  const std::string text = point->accessibleName().toStdString();
  click(point);
  r.o->click("confirmLoaded");
  r.to_the_end();
  const QDir runs(QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/runs"));
  const auto folders = runs.entryList(QDir::Dirs | QDir::NoDotAndDotDot);
  REQUIRE(folders.size() == 1);
  const auto state = read_journal((runs.filePath(folders.front()) + QStringLiteral("/journal.jsonl")).toStdString());
  REQUIRE(state);
  CHECK(state->cards == std::vector<std::string>{text});
  CHECK(state->outcome == "done");
}

TEST_CASE("the job sheet is saved from the run panel") {
  Running r;
  r.o->answers.save = r.o->folder.filePath(QStringLiteral("card, job sheet.pdf"));
  r.o->click("saveJobSheet");
  wait_for([&] { return QFile::exists(r.o->answers.save); });
  QFile file(r.o->answers.save);
  REQUIRE(file.open(QIODevice::ReadOnly));
  CHECK(file.readAll().startsWith("%PDF-"));
}

TEST_CASE("a job goes into a file instead, to the byte, and the next one to the simulated cutter again") {
  Running r;
  r.o->answers.save = r.o->folder.filePath(QStringLiteral("card.hpgl"));
  choose(r.o->find<QComboBox>("cutterBox"), 2);
  r.o->session().settle();
  CHECK_FALSE(r.o->find("scaleBox")->isVisible());
  r.o->click("startRun");
  wait_for([&] { return r.run().state() == State::over; });
  CHECK(r.run().record().outcome == Outcome::done);
  CHECK(*read_file(r.o->answers.save.toStdString()) == hpgl_of(compile(r.run().plan(), r.o->project().machine)).text);
  r.o->click("clearRun");
  choose(r.o->find<QComboBox>("cutterBox"), 1);
  r.o->session().settle();
  CHECK(r.o->find("portPath")->isVisible());
  CHECK(r.reads("moves a real machine"));
  choose(r.o->find<QComboBox>("cutterBox"), 0);
  r.o->session().settle();
  r.start(3);
  r.to_the_end();
  r.check_once();
}

TEST_CASE("how a blade trails and where a pen touches is typed in the rack, what holds a part at Passes") {
  Opened o;
  o.stage(Stage::passes);
  o.click("tool-fine-blade");
  QTest::qWait(1);
  CHECK_FALSE(o.find("toolTipX")->isVisible());
  const double before = o.session().derived().plan.seconds;
  type(o.find<NumberField>("toolTrail"), "0.6");
  type(o.find<NumberField>("toolOvercut"), "1");
  o.session().settle();
  CHECK(find_tool(o.project(), "fine-blade")->trail_mm == Approx(0.6));
  CHECK(find_tool(o.project(), "fine-blade")->overcut_mm == Approx(1));
  CHECK(o.session().derived().plan.seconds > before);
  o.click("tool-pen-1f6f78");
  QTest::qWait(1);
  CHECK_FALSE(o.find("toolTrail")->isVisible());
  type(o.find<NumberField>("toolTipX"), "0.4");
  type(o.find<NumberField>("toolTipY"), "-0.2");
  type(o.find<NumberField>("toolSits"), "90");
  o.session().settle();
  CHECK(find_tool(o.project(), "pen-1f6f78")->tip_mm == Vec{0.4, -0.2});
  CHECK(find_tool(o.project(), "pen-1f6f78")->sits_deg == Approx(90));
  o.undo();
  CHECK(find_tool(o.project(), "pen-1f6f78")->sits_deg == Approx(0));
}

}  // namespace dotlane::test
