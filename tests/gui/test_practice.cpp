// Practice by hand: an exercise from its list to the next one, calibration sheets and what is read off them, the
// workshop of another project, a test cut, a profile for G-code.
#include <QSettings>

#include "app/notice.hpp"
#include "app/practice/calibrate_window.hpp"
#include "app/practice/exercise_list.hpp"
#include "core/trainer/exercise.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

using State = RunController::State;

void forget_passed() { QSettings().remove(QStringLiteral("exercises")); }

/// A window that an action opens, on screen.
template <class Window>
Window* opened_by(Opened& o, const char* action) {
  o.run(action);
  Window* window = nullptr;
  wait_for([&] {
    window = nullptr;
    for (auto* w : o.window.findChildren<Window*>()) {
      if (w->isVisible()) window = w;
    }
    return window != nullptr;
  });
  REQUIRE(window);
  return window;
}

void rehearse(Opened& o) {
  if (!o.window.findChildren<QWidget*>(QStringLiteral("clearRun")).isEmpty()) o.click("clearRun");
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 3);  // as fast as it can
  o.click("startRun");
  for (;;) {
    wait_for([&] {
      return o.window.run().state() == State::paused ||
             (o.window.run().state() == State::over && o.window.run().outcome());
    });
    if (o.window.run().state() != State::paused) break;
    o.session().settle();
    o.click("confirmLoaded");
  }
  o.session().settle();
}

QLabel* shown(Opened& o, const char* name) {
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  for (auto* label : o.window.findChildren<QLabel*>(QString::fromLatin1(name))) {
    if (label->isVisible()) return label;
  }
  return nullptr;
}

}  // namespace

TEST_CASE("an exercise is begun from its list, failed, mended, passed, and kept as passed") {
  forget_passed();
  Opened o{QString()};
  auto* list = opened_by<ExerciseList>(o, "exercises");
  click(list->findChild<QPushButton*>(QStringLiteral("begin-forgotten-role")));
  o.session().settle();
  CHECK(o.project().name == "Harbour tag");
  auto* card = o.find("exerciseCard");
  CHECK(card->isVisible());
  CHECK_FALSE(o.session().modified());
  rehearse(o);
  wait_for([&] { return shown(o, "exerciseMissed") != nullptr; });
  CHECK(shown(o, "exerciseMissed")->text().contains(QStringLiteral("Nothing else is marked")));
  CHECK_FALSE(passed_before(*find_exercise("forgotten-role")));
  CHECK(shown(o, "exerciseHint") == nullptr);
  o.click("exerciseHintButton");
  wait_for([&] { return shown(o, "exerciseHint") != nullptr; });
  // The wave is what is cut: it is picked in the ledger and engraved by its key.
  o.stage(Stage::draft);
  o.pick({LineRef{1, "wave"}});
  o.run("role-engrave");
  CHECK(o.project().pieces.front()->lines.back().role == Role::engrave);
  wait_for([&] { return shown(o, "exerciseMissed") == nullptr; });  // what was judged is not there any more
  o.stage(Stage::run);
  rehearse(o);
  wait_for([&] { return shown(o, "exercisePassed") != nullptr; });
  CHECK(passed_before(*find_exercise("forgotten-role")));
  // Nobody is asked whether an exercise is to be saved.
  o.click("nextExercise");
  wait_for([&] { return o.project().name == "Stall label"; });
  CHECK(o.answers.asked == 0);
  CHECK(shown(o, "exercisePassed") == nullptr);
  auto* again = opened_by<ExerciseList>(o, "exercises");
  CHECK(again->findChild<QPushButton*>(QStringLiteral("begin-forgotten-role"))->text() ==
        QStringLiteral("Do it again"));
  again->close();
  o.window.activateWindow();
  o.click("leaveExercise");
  wait_for([&] { return !o.find("exerciseCard")->isVisible(); });
  CHECK(o.project().pieces.empty());
  forget_passed();
}

TEST_CASE("the world of an exercise is left with it") {
  forget_passed();
  Opened o{QString()};
  auto* list = opened_by<ExerciseList>(o, "exercises");
  click(list->findChild<QPushButton*>(QStringLiteral("begin-long-machine")));
  o.session().settle();
  rehearse(o);
  CHECK(o.window.run().outcome()->most_mm > 0.5);  // the machine goes too far
  o.put(lesson_of(*find_exercise("long-machine")).start);
  CHECK_FALSE(o.find("exerciseCard")->isVisible());
  o.stage(Stage::run);
  rehearse(o);
  CHECK(o.window.run().outcome()->most_mm < 0.05);
}

TEST_CASE("a calibration sheet is opened, and what is read on it taken back to where one came from") {
  Opened o;
  const QString home = o.session().path();
  o.stage(Stage::passes);
  const std::size_t tools = o.project().tools.size();
  auto* window = opened_by<CalibrateWindow>(o, "calibrate");
  click(window->findChild<QPushButton*>(QStringLiteral("kind-scale")));
  click(window->findChild<QPushButton*>(QStringLiteral("openSheet")));
  o.session().settle();
  CHECK(o.project().name == "calibration-scale");
  CHECK(o.project().tools.size() == tools);
  CHECK(o.session().path().isEmpty());
  CHECK(o.session().derived().plan.passes.size() == 1);
  window = opened_by<CalibrateWindow>(o, "calibrate");
  CHECK(window->findChild<QPushButton*>(QStringLiteral("kind-scale"))->isChecked());  // the sheet that is open
  type(window->findChild<NumberField*>(QStringLiteral("read-across")), "200.9");
  type(window->findChild<NumberField*>(QStringLiteral("read-up")), "199.5");
  click(window->findChild<QPushButton*>(QStringLiteral("takeReadings")));
  o.session().settle();
  CHECK(o.project().machine.scale.x == Approx(1.0045));
  CHECK(o.project().machine.scale.y == Approx(0.9975));
  click(window->findChild<QPushButton*>(QStringLiteral("closeCalibrate")));
  o.window.activateWindow();
  o.answer(QStringLiteral("Go back"));
  wait_for([&] { return o.session().path() == home; });
  o.session().settle();
  CHECK(o.project().machine.scale.x == Approx(1.0045));
  CHECK(o.session().modified());
  o.undo();
  CHECK(o.project().machine.scale.x == 1);
}

TEST_CASE("a tip's place is clicked in the picture, or moved there by keys") {
  Opened o;
  o.stage(Stage::passes);
  o.click("calibrateTools");
  auto* window = o.window.findChild<CalibrateWindow*>();
  REQUIRE(window);
  auto* picture = window->findChild<ReadingPicture*>();
  REQUIRE(picture->isVisible());
  auto* box = window->findChild<QComboBox*>(QStringLiteral("calibrateTool"));
  REQUIRE(box->currentData().toString() == QStringLiteral("chisel-marker"));
  auto* take = window->findChild<QPushButton*>(QStringLiteral("takeReadings"));
  CHECK_FALSE(take->isEnabled());
  const QPoint middle(picture->width() / 2, picture->height() / 2);
  QTest::mouseClick(picture, Qt::LeftButton, {}, middle + QPoint(27, -14));
  const Vec clicked = picture->place();
  CHECK(clicked.x == Approx(2).margin(0.1));
  CHECK(clicked.y == Approx(-1).margin(0.1));
  CHECK(window->findChild<NumberField*>(QStringLiteral("read-chisel-marker.x"))->value() == clicked.x);
  QTest::keyClick(picture, Qt::Key_Left);
  QTest::keyClick(picture, Qt::Key_Down);
  CHECK(picture->place().x == Approx(clicked.x - 0.05));
  CHECK(picture->place().y == Approx(clicked.y + 0.05));
  click(take);
  const Tool* tool = find_tool(o.project(), "chisel-marker");
  CHECK(tool->tip_mm.x == Approx(clicked.x - 0.05));
  CHECK(tool->tip_mm.y == Approx(clicked.y + 0.05));
  CHECK(picture->place() == Vec{});  // the next reading is what is left
  // Every sheet can be chosen and says what it is for; what cannot be made says why.
  for (const Calibration kind : kCalibrations) {
    INFO(std::string(word(kind)));
    click(window->findChild<QPushButton*>(QStringLiteral("kind-") + QString::fromStdString(std::string(word(kind)))));
    CHECK(window->findChild<QPushButton*>(QStringLiteral("openSheet"))->isEnabled());
    CHECK_FALSE(window->findChild<QLabel*>(QStringLiteral("calibrateNow"))->text().isEmpty());
  }
  window->close();
}

TEST_CASE("tools, stocks and machine of another project are taken over, and undone as one") {
  Opened o;
  Project other = new_project("Other");
  other.machine.landing_mm = 0.21;
  other.tools.front().trail_mm = 0.7;
  Tool own = other.tools.front();
  own.id = "harbour-blade", own.name = "Harbour blade";
  other.tools.push_back(own);
  const QString path = o.folder.filePath(QStringLiteral("other.dotlane"));
  REQUIRE(save_project(other, path.toStdString()));
  const std::string first = o.project().pieces.front()->name;
  o.answers.open = {path};
  o.run("take-workshop");
  wait_for([&] { return o.project().machine.landing_mm == 0.21; });
  CHECK(find_tool(o.project(), "harbour-blade") != nullptr);
  CHECK(find_tool(o.project(), other.tools.front().id)->trail_mm == 0.7);
  CHECK(o.project().pieces.front()->name == first);
  o.undo();
  CHECK(find_tool(o.project(), "harbour-blade") == nullptr);
}

TEST_CASE("a test cut is made first in free corners, and then the run is set up") {
  Opened o(demo(QStringLiteral("fair-pennants")));
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 3);
  o.click("testCut");
  for (;;) {
    wait_for([&] { return o.window.run().state() == State::paused || o.window.run().state() == State::over; });
    if (o.window.run().state() == State::over) break;
    o.session().settle();
    o.click("confirmLoaded");
  }
  wait_for([&] { return o.window.run().outcome().has_value(); });
  o.session().settle();
  CHECK(o.window.run().testing());
  CHECK(o.window.run().record().outcome == Outcome::done);
  CHECK(o.window.run().outcome()->missing == 0);
  // Small squares with a triangle each, nothing of the pennants.
  double marked = 0;
  for (const auto& [tool, mm] : o.window.run().record().marked_mm) marked += mm;
  CHECK(marked < 60 * static_cast<double>(o.project().sheets.size()) + 1);
  CHECK(marked > 30);
  bool told = false;
  for (const auto* label : o.window.findChildren<QLabel*>())
    told = told || (label->isVisible() && label->text().contains(QStringLiteral("The test is cut")));
  CHECK(told);
  CHECK(o.find<QPushButton>("clearRun")->text() == QStringLiteral("Set up the run itself"));
  o.click("clearRun");
  CHECK(o.find("startRun")->isVisible());
}

TEST_CASE("G-code follows the profile that was chosen, also in the next window") {
  QSettings().remove(QStringLiteral("gcode"));
  {
    Opened o;
    const QString profile = o.folder.filePath(QStringLiteral("servo.json"));
    REQUIRE(write_file(profile.toStdString(), R"({"name": "Fair servo", "lift": "servo", "up": 40, "down": 90})"));
    o.answers.open = {profile};
    o.run("gcode-profile");
    CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("Fair servo")));
    const QString bad = o.folder.filePath(QStringLiteral("bad.json"));
    REQUIRE(write_file(bad.toStdString(), R"({"lift": "crane"})"));
    o.answers.open = {bad};
    o.run("gcode-profile");
    CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("lift")));
  }
  Opened o;
  o.answers.save = o.folder.filePath(QStringLiteral("job.gcode"));
  o.run("export");
  wait_for([&] { return QFile::exists(o.answers.save); });
  const auto text = read_file(o.answers.save.toStdString());
  REQUIRE(text);
  CHECK(text->find("M3 S90") != std::string::npos);
  CHECK(text->find(" Z") == std::string::npos);
  QSettings().remove(QStringLiteral("gcode"));
}

}  // namespace dotlane::test
