// The main job from end to end in the real window.
#include <QComboBox>
#include <QProcess>

#include "app/notice.hpp"
#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/project/edit.hpp"
#include "device/sim_cutter_link.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

TEST_CASE("open the demo, assign a role, run through a pause, cancel a second run, save and find it again") {
  QTemporaryDir folder;
  Opened o;
  REQUIRE(o.project().pieces.size() == 5);
  const auto planned = o.session().derived().plan.passes.size();
  REQUIRE(planned >= 5);

  // Assign: the wave's crest becomes a scored line.
  const Piece& wave = o.piece("Wave border");
  o.pick({{wave.id, "wave-crest"}});
  o.click("role-score");
  CHECK(o.piece("Wave border").lines[1].role == Role::score);
  CHECK(o.session().undoLabel() == "Make it score");
  CHECK(worst(o.session().derived().findings).value_or(Severity::info) == Severity::info);

  // Run: as fast as it goes, every pause confirmed on its card.
  o.click("stage3");
  choose(o.find<QComboBox>("scaleBox"), 3);
  o.click("startRun");
  auto& run = o.window.run();
  using State = RunController::State;
  int pauses = 0;
  for (;;) {
    wait_for([&] { return run.state() == State::paused || run.state() == State::over; });
    if (run.state() == State::over) break;
    ++pauses;
    o.session().settle();  // the card shows itself when the events go round
    CHECK(o.find("pauseCard")->isVisible());
    if (pauses == 1) {
      // Saying that something else is loaded keeps it waiting and says why.
      auto* holder = o.find<QComboBox>("holderBox1");
      const int right = holder->currentIndex();
      choose(holder, 0);
      o.click("confirmLoaded");
      wait_for([&] { return !run.problem().isEmpty(); });
      CHECK(run.state() == State::paused);
      o.session().settle();
      choose(o.find<QComboBox>("holderBox1"), right);
    }
    o.click("confirmLoaded");
    wait_for([&] { return run.state() != State::paused || (run.pause() && run.record().pauses > pauses); });
  }
  CHECK(run.record().outcome == Outcome::done);
  CHECK(pauses == static_cast<int>(o.session().derived().plan.pauses.size()));
  double planned_mm = 0, marked_mm = 0;
  for (const auto& pass : run.plan().passes) planned_mm += pass.length_mm;
  for (const auto& [tool, mm] : run.record().marked_mm) marked_mm += mm;
  CHECK(marked_mm == Approx(planned_mm).epsilon(0.002));
  CHECK(run.record().seconds == Approx(run.plan().running_seconds()).epsilon(0.01));

  // A second run, at the machine's own speed, is held, taken up again and cancelled.
  o.click("clearRun");
  choose(o.find<QComboBox>("scaleBox"), 0);
  o.click("startRun");
  wait_for([&] { return run.head().seconds > 0.05; });
  o.click("holdRun");
  CHECK(run.state() == State::held);
  o.click("resumeRun");
  o.click("cancelRun");
  wait_for([&] { return run.state() == State::over; });
  CHECK(run.record().outcome == Outcome::cancelled);
  CHECK(run.record().seconds < 10);

  // Save under a new name, open it in another window: the same project.
  o.answers.save = folder.filePath(QStringLiteral("card"));
  o.run("save-as");
  o.session().settle();
  CHECK(o.session().path().endsWith(QStringLiteral("card.dotlane")));
  CHECK_FALSE(o.session().modified());
  Opened again(o.session().path());
  CHECK(again.project() == o.project());
  CHECK(to_json(again.project()) == to_json(o.project()));
}

TEST_CASE("a cutter that drops the line ends the run with a reason") {
  auto owned = std::make_unique<SimCutterLink>();
  SimCutterLink* link = owned.get();
  Opened o(std::move(owned), demo());
  auto& run = o.window.run();
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 0);
  o.click("startRun");
  wait_for([&] { return run.head().seconds > 0.05; });
  link->process().kill();
  wait_for([&] { return run.state() == RunController::State::over; });
  CHECK(run.record().outcome == Outcome::failed);
  CHECK(run.problem().contains(QStringLiteral("connection")));
  // And another run can follow.
  o.click("clearRun");
  choose(o.find<QComboBox>("scaleBox"), 3);
  o.click("startRun");
  wait_for([&] { return run.state() == RunController::State::paused; });
  o.click("cancelRun");
  wait_for([&] { return run.state() == RunController::State::over; });
}

TEST_CASE("a run given up before it began leaves nothing behind, and the next one runs whole") {
  Opened o;
  auto& run = o.window.run();
  using State = RunController::State;
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 3);
  click(o.find<QPushButton>("startRun"));
  CHECK(run.state() == State::running);
  o.run("run-cancel", false);
  CHECK(run.state() == State::idle);
  o.session().settle();
  QCoreApplication::processEvents();
  CHECK(run.state() == State::idle);
  // An edit after the start does not touch the run: it keeps the plan it began with.
  o.click("startRun");
  const std::size_t passes = run.plan().passes.size();
  o.pick("Cliff");
  o.press(Qt::Key_G);
  o.session().settle();
  CHECK(run.plan().passes.size() == passes);
  while (true) {
    wait_for([&] { return run.state() == State::paused || run.state() == State::over; });
    if (run.state() == State::over) break;
    const int pauses = run.record().pauses;
    o.click("confirmLoaded");
    wait_for([&] { return run.state() != State::paused || run.record().pauses > pauses; });
  }
  CHECK(run.problem().isEmpty());
  CHECK(run.head().seconds == Approx(run.plan().running_seconds()).epsilon(0.01));
}

TEST_CASE("bringing in a drawing: assumed size asks, a broken file says one line, nothing is lost") {
  Opened o(QString{});
  o.answers.open = {QStringLiteral(DOTLANE_TEST_DATA "/svg/08_no_size.svg")};
  o.click("ledger-bring-in");
  REQUIRE(o.project().pieces.size() == 1);
  auto* notice = o.find<Notice>("notice");
  CHECK(notice->message().contains(QStringLiteral("no physical size")));
  QPushButton* at_72 = nullptr;
  for (auto* b : notice->findChildren<QPushButton*>()) {
    if (b->text().startsWith(QStringLiteral("72"))) at_72 = b;
  }
  REQUIRE(at_72);
  QTest::mouseClick(at_72, Qt::LeftButton);
  o.session().settle();
  CHECK(o.session().drawing().bounds().width() == Approx(460 / 72.0 * 25.4));
  const Project before = o.project();
  o.answers.open = {QStringLiteral(DOTLANE_TEST_DATA "/hostile/truncated.svg")};
  o.click("ledger-bring-in");
  CHECK(notice->message().contains(QStringLiteral("truncated.svg:")));
  CHECK(o.project() == before);
}

TEST_CASE("closing with unsaved changes asks, staying keeps the window") {
  Opened o;
  o.pick({{o.project().pieces.front()->id, ""}});
  o.press(Qt::Key_Right);
  o.answers.answer = Dialogs::Answer::cancel;
  o.window.close();
  o.session().settle();
  CHECK(o.answers.asked == 1);
  CHECK(o.window.isVisible());
  o.answers.answer = Dialogs::Answer::discard;
  o.window.close();
  wait_for([&] { return !o.window.isVisible(); });
}

TEST_CASE("the job is exported from the window in every format") {
  QTemporaryDir folder;
  Opened o;
  for (const char* ending : {"svg", "dxf", "hpgl", "gcode", "pdf", "png"}) {
    o.answers.save = folder.filePath(QStringLiteral("job.") + QString::fromLatin1(ending));
    o.run("export");
    o.session().settle();
    CHECK(QFileInfo(o.answers.save).size() > 500);
  }
  o.answers.save = folder.filePath(QStringLiteral("job.docx"));
  o.run("export");
  o.session().settle();
  CHECK(o.find<Notice>("notice")->message().contains(QStringLiteral("choose one of the endings")));
}

TEST_CASE("a DXF drawing without units comes in, its unit is asked, and it goes out again as DXF") {
  Opened o(QString{});
  const QString file = o.folder.filePath(QStringLiteral("lantern.dxf"));
  {
    QFile dxf(file);
    REQUIRE(dxf.open(QIODevice::WriteOnly));
    QByteArray text = "0\nSECTION\n2\nENTITIES\n";
    // A square of 4 by 3 in single lines, and a circle in it.
    const double corners[5][2] = {{0, 0}, {4, 0}, {4, 3}, {0, 3}, {0, 0}};
    for (int i = 0; i < 4; ++i)
      text += QByteArray("0\nLINE\n8\nedge\n10\n") + QByteArray::number(corners[i][0]) + "\n20\n" +
              QByteArray::number(corners[i][1]) + "\n11\n" + QByteArray::number(corners[i + 1][0]) + "\n21\n" +
              QByteArray::number(corners[i + 1][1]) + "\n";
    text += "0\nCIRCLE\n8\nlight\n10\n2\n20\n1.5\n40\n1\n0\nENDSEC\n0\nEOF\n";
    dxf.write(text);
  }
  o.answers.open = {file};
  o.click("ledger-bring-in");
  REQUIRE(o.project().pieces.size() == 1);
  CHECK(o.project().pieces.front()->lines.size() == 2);
  CHECK(o.session().drawing().bounds().width() == Approx(4));
  const auto source_says = [&](const char* words) {
    const auto labels = o.window.findChildren<QLabel*>();
    return std::any_of(labels.begin(), labels.end(), [&](const QLabel* l) {
      return l->isVisible() && l->text().contains(QString::fromLatin1(words));
    });
  };
  CHECK(source_says("units taken as mm"));
  o.answer(QStringLiteral("units are in"));
  CHECK(source_says("units taken as in"));
  CHECK(o.session().drawing().bounds().width() == Approx(4 * 25.4).margin(1e-6));
  CHECK(o.session().drawing().bounds().height() == Approx(3 * 25.4).margin(1e-6));
  o.answers.save = o.folder.filePath(QStringLiteral("out.dxf"));
  o.run("export");
  wait_for([&] { return QFile::exists(o.answers.save); });
  o.session().settle();
  const auto back = read_artwork(*read_file(o.answers.save.toStdString()), "out.dxf");
  REQUIRE(back);
  CHECK(back->unit_source == UnitSource::stated);
  CHECK(back->lines.size() == 2);
  CHECK(back->width_mm == Approx(4 * 25.4).margin(1e-4));
  CHECK(back->height_mm == Approx(3 * 25.4).margin(1e-4));
}

TEST_CASE("a PDF comes in a page at a time, and the others are offered") {
  Opened o(QString{});
  const QString file = o.folder.filePath(QStringLiteral("signs.pdf"));
  {
    QFile pdf(file);
    REQUIRE(pdf.open(QIODevice::WriteOnly));
    // Two pages: a line of 72 pt, and one of 144 pt. Without a table of where things are, which readers make anew.
    pdf.write(
        "%PDF-1.4\n1 0 obj<</Type/Catalog/Pages 2 0 R>>endobj\n2 0 obj<</Type/Pages/Kids[3 0 R 5 0 R]/Count 2>>endobj\n"
        "3 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 100]/Contents 4 0 R>>endobj\n"
        "4 0 obj<</Length 21>>stream\n10 10 m 82 10 l S    \nendstream endobj\n"
        "5 0 obj<</Type/Page/Parent 2 0 R/MediaBox[0 0 200 100]/Contents 6 0 R>>endobj\n"
        "6 0 obj<</Length 21>>stream\n10 10 m 154 10 l S   \nendstream endobj\ntrailer<</Root 1 0 R>>\n%%EOF\n");
  }
  o.answers.open = {file};
  o.click("ledger-bring-in");
  REQUIRE(o.project().pieces.size() == 1);
  CHECK(o.session().drawing().bounds().width() == Approx(25.4).margin(1e-3));
  CHECK(o.find<Notice>("notice")->message().contains(QStringLiteral("Page 1 of 2 of signs.pdf")));
  o.answer(QStringLiteral("page 2"));
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 2);
  double widest = 0;
  for (const auto& piece : o.session().drawing().pieces) widest = std::max(widest, piece->bounds.width());
  CHECK(widest == Approx(50.8).margin(1e-3));
}

TEST_CASE("a drawing whose reading does not end is given up, and the next one comes in") {
  Opened o(QString{});
  const QString endless = o.folder.filePath(QStringLiteral("endless.ps"));
  {
    QFile file(endless);
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write("%!PS\n{} loop\n");
  }
  o.answers.open = {endless};
  click(o.find<QAbstractButton>("ledger-bring-in"));
  auto* notice = o.find<Notice>("notice");
  wait_for([&] { return notice->isVisible() && notice->message().contains(QStringLiteral("endless.ps")); });
  o.answer(QStringLiteral("Cancel"));
  CHECK_FALSE(notice->isVisible());
  o.answers.open = {QStringLiteral(DOTLANE_TEST_DATA "/svg/03_arcs.svg")};
  o.click("ledger-bring-in");
  CHECK(o.project().pieces.size() == 1);
}
