// The logbook by hand: a run is written down by itself, said how it came out, found again, run again, compared; what it
// taught is proposed where force and depth are set.
#include <QDir>
#include <QLabel>
#include <QStandardPaths>

#include "app/log/log_view.hpp"
#include "core/logbook/logbook_text.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

using State = RunController::State;

QString data_folder() { return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation); }

void forget_log() {
  for (const char* name : {"logbook.sqlite", "logbook.sqlite-wal", "logbook.sqlite-shm"})
    QFile::remove(data_folder() + QLatin1Char('/') + QString::fromLatin1(name));
  QDir(data_folder() + QStringLiteral("/logbook-copies")).removeRecursively();
}

/// Runs the project into a file: a cutter that is no rehearsal and asks nobody.
void run_into_file(Opened& o, const QString& name) {
  if (!o.window.findChildren<QWidget*>(QStringLiteral("clearRun")).isEmpty()) o.click("clearRun");
  o.stage(Stage::run);
  choose(o.find<QComboBox>("cutterBox"), 2);
  QTest::qWait(20);
  o.answers.save = o.folder.filePath(name);
  o.click("startRun");
  wait_for([&] { return o.window.run().state() == State::over && o.window.run().logged(); });
  o.session().settle();
  o.window.log().settle();
}

LoggedRun logged_cut(int n, double force, double depth, CameOut out, const std::string& stock,
                     const std::string& tool) {
  LoggedRun run;
  run.job = "before-" + std::to_string(n);
  run.begun = "2026-0" + std::to_string(1 + n % 9) + "-05T10:00:00";
  run.project = n % 2 ? "Lantern tag" : "Gull pennant", run.machine = "Two-holder cutter";
  run.planned_s = run.real_s = 60 + n;
  LoggedPass p;
  p.tool = tool, p.tool_name = "Fine blade", p.tool_kind = "blade", p.stock = stock, p.stock_name = "Card of " + stock;
  p.thickness_mm = 0.24, p.grammage_gsm = 176, p.force_gf = force, p.depth = depth, p.speed_mm_s = 50;
  p.planned_s = 60, p.real_s = 66, p.metres = 1, p.came_out = out;
  run.passes.push_back(p);
  return run;
}

/// Runs of before, as another window wrote them.
void put_in_log(const std::vector<LoggedRun>& runs) {
  Logbook book = Logbook::open(data_folder().toStdString() + "/logbook.sqlite").value();
  for (const auto& run : runs) REQUIRE(book.keep(run, "{}"));
}

QListView& tiles(Opened& o) { return o.window.season().tiles(); }

void click_tile(Opened& o, int row, Qt::KeyboardModifiers keys = Qt::NoModifier) {
  click(tiles(o), row, keys);
  o.window.log().settle();
  QTest::qWait(1);
}

int rows(Opened& o) { return tiles(o).model()->rowCount(); }

}  // namespace

TEST_CASE("a run writes itself down, how it came out is one click, and stands in the log") {
  forget_log();
  Opened o;
  run_into_file(o, QStringLiteral("card.hpgl"));
  REQUIRE(o.window.run().record().outcome == Outcome::done);
  const LoggedRun logged = *o.window.run().logged();
  CHECK(logged.project == "Lighthouse card");
  CHECK_FALSE(logged.rehearsed);
  CHECK(logged.passes.size() == o.session().derived().plan.passes.size());
  o.click("came-0-good");  // all of it
  o.window.log().settle();
  o.click("came-9-weak");  // but the last
  o.window.log().settle();
  o.click("weeding-easy");
  type(o.find<QLineEdit>("runNote"), QStringLiteral("for the pier stall"));
  QTest::keyClick(o.find<QLineEdit>("runNote"), Qt::Key_Return);
  o.window.log().settle();
  o.stage(Stage::log);
  o.window.log().settle();
  REQUIRE(rows(o) == 1);
  click_tile(o, 0);
  const auto& chosen = o.window.log().chosen();
  REQUIRE(chosen);
  CHECK(chosen->passes.front().came_out == CameOut::good);
  CHECK(chosen->passes.back().came_out == CameOut::weak);
  CHECK(chosen->weeding == Weeding::easy);
  CHECK(chosen->note == "for the pier stall");
  // A note is taken back as it was written.
  auto* card = o.find<QWidget>("logPanel");
  for (const char* text : {"for the quay stall", "for the pier stall"}) {
    auto* note = card->findChild<QLineEdit*>(QStringLiteral("runNote"));
    QTest::mouseClick(note, Qt::LeftButton);
    QTest::keyClick(note, Qt::Key_A, Qt::ControlModifier);
    type(note, QString::fromLatin1(text));
    QTest::keyClick(note, Qt::Key_Return);
    o.window.log().settle();
    CHECK(chosen->note == text);
    CHECK(card->findChild<QLineEdit*>(QStringLiteral("runNote")) == note);  // not shown anew under the pointer
  }
  CHECK(o.find<QLabel>("loggedName")->text() == QStringLiteral("Lighthouse card"));
  // Said otherwise later, in the log itself.
  o.click("came-9-torn");
  o.window.log().settle();
  CHECK(o.window.log().chosen()->passes.back().came_out == CameOut::torn);
  // A photograph is kept as a shrunk copy; what is none is said.
  QImage large(3000, 2000, QImage::Format_RGB32);
  large.fill(Qt::darkCyan);
  const QString file = o.folder.filePath(QStringLiteral("table.png"));
  REQUIRE(large.save(file));
  o.answers.open = {file, o.folder.filePath(QStringLiteral("card.hpgl"))};
  o.click("addPhoto");
  o.window.log().settle();
  o.window.log().settle();
  REQUIRE(o.window.log().chosen()->photos.size() == 1);
  QImage kept(o.window.log().photoPath(o.window.log().chosen()->photos.front()));
  CHECK(kept.width() == 1600);
  o.window.log().settle();
  CHECK_FALSE(o.find<QLabel>("runPhoto")->pixmap(Qt::ReturnByValue).isNull());
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("card.hpgl")));
  // There is a picture of what came of it.
  wait_for([&] { return !o.window.log().picture(chosen->id).isNull(); });
  CHECK(painted(&tiles(o)) > 0.02);
}

TEST_CASE("a rehearsal is written down as one, a run that is broken off and gone on with is one run") {
  forget_log();
  Opened o;
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 1);
  o.click("startRun");
  wait_for([&] { return o.window.run().head().seconds > 0.5; });
  o.click("cancelRun");
  wait_for([&] { return o.window.run().logged().has_value(); });
  CHECK(o.window.run().logged()->rehearsed);
  CHECK(o.window.run().logged()->outcome == Outcome::cancelled);
  CHECK(o.window.findChildren<QWidget*>(QStringLiteral("cameOutCard")).isEmpty());  // nothing real came of it
  o.session().settle();
  o.click("goOnRun");
  o.window.run().setTimeScale(0);
  for (;;) {
    wait_for([&] { return o.window.run().state() == State::paused || o.window.run().logged(); });
    if (o.window.run().logged()) break;
    const int pauses = o.window.run().record().pauses;
    o.session().settle();
    o.click("confirmLoaded");
    wait_for([&] { return o.window.run().state() != State::paused || o.window.run().record().pauses > pauses; });
  }
  o.stage(Stage::log);
  o.window.log().settle();
  REQUIRE(rows(o) == 1);
  click_tile(o, 0);
  CHECK(o.window.log().chosen()->outcome == Outcome::done);
  CHECK(o.window.log().chosen()->parts == 2);
  CHECK(o.window.log().chosen()->real_s > 10);
}

TEST_CASE("runs are filtered, compared, and run again as they were") {
  forget_log();
  std::vector<LoggedRun> before;
  for (int n = 0; n < 12; ++n)
    before.push_back(
        logged_cut(n, 100 + 10 * n, 3, n < 6 ? CameOut::weak : CameOut::good, n % 3 ? "cover-65" : "felt", "blade"));
  put_in_log(before);
  Opened o;
  o.stage(Stage::log);
  o.window.log().settle();
  REQUIRE(rows(o) == 12);
  const auto pick = [&](const char* box, const QString& data) {
    choose(o.find<QComboBox>(box), data);
    o.window.log().settle();
  };
  pick("logStock", QStringLiteral("felt"));
  CHECK(rows(o) == 4);
  pick("logOut", QStringLiteral("good"));
  CHECK(rows(o) == 2);
  CHECK(o.find<QLabel>("runCount")->text().startsWith(QLatin1Char('2')));
  pick("logProject", QStringLiteral("Lantern tag"));
  CHECK(rows(o) == 1);
  pick("logProject", QString());
  pick("logStock", QString());
  pick("logOut", QString());
  CHECK(rows(o) == 12);
  click_tile(o, 0);
  click_tile(o, 1, Qt::ControlModifier);
  REQUIRE(o.window.log().compared());
  QTest::qWait(1);
  QStringList told;
  for (auto* label : o.window.findChildren<QLabel*>(QStringLiteral("difference"))) {
    if (label->isVisible()) told << label->text();
  }
  CHECK(told.join(QLatin1Char('\n')).contains(QStringLiteral("gf, then")));
  // The project as it was, not as it is.
  forget_log();
  Opened again;
  again.put(Project(again.project()));  // a file of its own, since it is saved
  const Project was = again.project();
  run_into_file(again, QStringLiteral("job.hpgl"));
  again.click("clearRun");
  again.stage(Stage::draft);
  again.pick("Wave border");
  again.press(Qt::Key_Delete);
  again.run("save");
  again.session().settle();
  REQUIRE(again.project().pieces.size() == was.pieces.size() - 1);
  again.stage(Stage::log);
  again.window.log().settle();
  click_tile(again, 0);
  again.click("runAgain");
  wait_for([&] { return again.project().pieces.size() == was.pieces.size(); });
  CHECK(again.session().path().isEmpty());
  CHECK(again.window.stage() == Stage::run);
}

TEST_CASE("what worked is a field for each stock, and proposes settings where they are set") {
  forget_log();
  Opened o;
  // The cut pass of the demo and what came of it before.
  const Pass cut = o.session().derived().plan.passes.back();
  REQUIRE(cut.role == Role::cut);
  const std::string stock = find_sheet(o.project(), cut.sheet)->stock;
  o.stage(Stage::passes);
  QTest::mouseClick(o.window.lanes().viewport(), Qt::LeftButton, {},
                    o.window.lanes().blockOf(cut.index).center().toPoint());
  o.window.log().settle();
  wait_for([&] { return o.find<QLabel>("advice")->isVisible(); });
  CHECK(o.find<QLabel>("advice")->text().startsWith(QStringLiteral("From the shelf")));
  CHECK_FALSE(o.find<QPushButton>("takeAdvice")->isVisible());
  std::vector<LoggedRun> before;
  for (int n = 0; n < 9; ++n)
    before.push_back(
        logged_cut(n, n < 4 ? 90 + 5 * n : 150, 4, n < 4 ? CameOut::weak : CameOut::good, stock, cut.tool));
  put_in_log(before);
  o.stage(Stage::log);
  o.window.log().settle();
  o.click("logWorked");
  o.window.log().settle();
  REQUIRE(o.window.season().worked().fields().size() == 1);
  const auto& field = o.window.season().worked().fields().front();
  CHECK(field.tried.size() == 9);
  CHECK(*std::max_element(field.clean.begin(), field.clean.end()) > 0.9);
  CHECK(painted(&o.window.season().worked()) > 0.02);
  o.stage(Stage::passes);
  o.window.log().settle();
  auto& lanes = o.window.lanes();
  QTest::mouseClick(lanes.viewport(), Qt::LeftButton, {}, lanes.blockOf(cut.index).center().toPoint());
  o.window.log().settle();
  auto* advice = o.find<QLabel>("advice");
  wait_for([&] { return advice->isVisible() && !advice->text().startsWith(QStringLiteral("From the shelf")); });
  CHECK(advice->text().contains(QStringLiteral("From 9")));
  // The curve beside it, with the passes behind it; a click on it sets that force.
  auto* curve = o.find<ForceCurveView>("forceCurve");
  wait_for([&] { return curve->isVisible(); });
  CHECK(curve->curve().tried.size() == 9);
  CHECK(painted(curve) > 0.02);
  CHECK(curve->accessibleName().contains(QStringLiteral("cuts through")));
  QTest::mouseClick(curve, Qt::LeftButton, {}, QPoint(curve->width() / 2, 40));
  o.session().settle();
  o.window.log().settle();
  const double clicked = setting_for(*find_stock(o.project(), stock), Role::cut).force_gf;
  CHECK(clicked == Approx(curve->curve().along.back().force_gf / 2).margin(20));
  CHECK(std::fmod(clicked, 5) == 0);
  o.undo();
  o.window.log().settle();
  auto* take = o.find<QPushButton>("takeAdvice");
  REQUIRE(take->isVisible());
  click(take);
  o.session().settle();
  const Setting now = setting_for(*find_stock(o.project(), stock), Role::cut);
  CHECK(now.force_gf > 105);
  CHECK(now.force_gf < 220);
  o.undo();
  // The pace of the machine, from the same runs: 66 seconds for 60.
  o.click("learnPace");
  o.window.log().settle();
  CHECK(pace_of(o.project().machine, Role::cut).factor == Approx(1.1).margin(0.001));
}

TEST_CASE("the rack tells how far a tool has gone, and that it is a new one") {
  forget_log();
  Opened o;
  put_in_log({logged_cut(1, 100, 3, CameOut::good, "cover-65", "fine-blade"),
              logged_cut(2, 100, 3, CameOut::good, "cover-65", "fine-blade")});
  o.stage(Stage::passes);
  o.click("tool-fine-blade");
  o.window.log().settle();
  auto* gone = o.find<QLabel>("toolGone");
  wait_for([&] { return gone->text().startsWith(QStringLiteral("2.00")); });
  o.click("toolIsNew");
  o.window.log().settle();
  wait_for([&] { return gone->text().startsWith(QStringLiteral("0.00")); });
  // A pen that will not last is named before the run, with its pass.
  Project p = o.project();
  for (auto& tool : p.tools) {
    if (tool.id == "fine-blade") tool.lasts_m = 0.05;
  }
  o.put(p);
  o.stage(Stage::run);
  o.window.log().settle();
  auto* ends = o.find<QLabel>("runsOut");
  wait_for([&] { return ends->isVisible(); });
  CHECK(ends->text().contains(QStringLiteral("will not last")));
  // So does second look, among all else.
  o.run("second-look");
  o.window.log().settle();
  auto* look = o.find<QWidget>("secondLook");
  const auto said = [&] {
    QString all;
    for (auto* label : look->findChildren<QLabel*>()) all += label->text() + QChar(' ');
    return all;
  };
  wait_for([&] { return said().contains(QStringLiteral("will not last")); });
  // A new one is in: it is said no more.
  o.put([&] {
    Project longer = o.project();
    for (auto& tool : longer.tools) {
      if (tool.id == "fine-blade") tool.lasts_m = 500;
    }
    return longer;
  }());
  o.window.log().settle();
  wait_for([&] { return !said().contains(QStringLiteral("will not last")); });
  forget_log();
}

TEST_CASE("what a run costs is told before it, and what it used is off the shelf after it") {
  forget_log();
  Opened o;
  o.stage(Stage::sheets);
  const std::string stock = o.project().sheets.front().stock;
  choose(o.find<QComboBox>("shelfStock"), QString::fromStdString(stock));
  type(named(o, "How many sheets for the shelf"), "4");
  type(o.find<NumberField>("shelfPrice"), "2.50");
  o.click("shelfAdd");
  REQUIRE(o.project().shelf.size() == 1);
  CHECK(o.project().shelf.front().price == 2.5);
  Project p = o.project();
  p.sheets.front().shelf = p.shelf.front().id;
  o.put(p);
  o.stage(Stage::run);
  o.session().settle();
  auto* cost = o.find<QLabel>("runCost");
  wait_for([&] { return cost->isVisible(); });
  CHECK(cost->text().contains(QStringLiteral("costs")));
  CHECK(cost->toolTip().contains(QStringLiteral("2")));
  run_into_file(o, QStringLiteral("shelf.hpgl"));
  o.click("useUp");
  o.session().settle();
  CHECK(*o.project().shelf.front().count == 3);
  CHECK(o.project().shelf.size() >= 2);  // what is left of it, and of the other sheet
  o.undo();
  CHECK(*o.project().shelf.front().count == 4);
  forget_log();
}

TEST_CASE("a damaged logbook is set aside, and that is said") {
  forget_log();
  QDir().mkpath(data_folder());
  QFile file(data_folder() + QStringLiteral("/logbook.sqlite"));
  REQUIRE(file.open(QIODevice::WriteOnly));
  file.write(QByteArray(9000, 'x'));
  file.close();
  Opened o;
  o.window.log().settle();
  auto* notice = o.window.findChild<Notice*>();
  CHECK(notice->message().contains(QStringLiteral("set aside")));
  o.stage(Stage::log);
  o.window.log().settle();
  CHECK(rows(o) == 0);
  CHECK(o.find("logEmpty")->isVisible());
  forget_log();
}

}  // namespace dotlane::test
