// What the keyboard and the small controls do that no other test touches.
#include <QLineEdit>
#include <set>

#include "driving.hpp"

namespace dotlane::test {
namespace {

/// All that runs, by length: what a recipe came to.
double planned_mm(Opened& o) {
  o.session().settle();
  double out = 0;
  for (const auto& pass : o.session().derived().plan.passes) out += pass.length_mm;
  return out;
}

}  // namespace

TEST_CASE("the lanes by keys: passes are gone through, the clock moved, a pass sent later and earlier") {
  Opened o;
  o.stage(Stage::passes);
  auto& lanes = o.window.lanes();
  auto key = [&](Qt::Key k, Qt::KeyboardModifiers modifiers = {}) {
    lanes.setFocus();
    QTest::keyClick(&lanes, k, modifiers);
    o.session().settle();
  };
  const int count = static_cast<int>(o.session().derived().plan.passes.size());
  REQUIRE(count >= 3);
  for (int i = 0; i < count + 2; ++i) key(Qt::Key_Up);
  CHECK(lanes.currentPass() == 1);
  for (int i = 2; i <= count; ++i) {
    key(Qt::Key_Down);
    CHECK(lanes.currentPass() == i);
  }
  key(Qt::Key_Down);
  CHECK(lanes.currentPass() == count);
  // The fields show the pass that is picked.
  CHECK(named(o, "Force of this pass")->value() == o.session().derived().plan.passes.back().force_gf);

  // The last pass goes before the one above it, and back: the plan is as before.
  auto order = [&] {
    std::vector<std::string> out;
    for (const auto& pass : o.session().derived().plan.passes) out.push_back(pass.key);
    return out;
  };
  const Project before = o.project();
  const auto as_planned = order();
  key(Qt::Key_Left, Qt::ControlModifier);
  auto swapped = as_planned;
  std::swap(swapped[swapped.size() - 1], swapped[swapped.size() - 2]);
  CHECK(order() == swapped);
  CHECK(lanes.currentPass() == count - 1);
  CHECK(o.session().undoLabel() == "Reorder passes");
  key(Qt::Key_Right, Qt::ControlModifier);
  CHECK(order() == as_planned);
  while (!(o.project() == before)) o.undo();
  // Beyond either end there is nowhere to go.
  key(Qt::Key_Right, Qt::ControlModifier);
  CHECK(o.project() == before);

  // The clock: a two-hundredth of the job, or a twentieth with Shift, never past its ends; Escape puts it away.
  const QImage without = o.bench().grab().toImage();
  for (int i = 0; i < 30; ++i) key(Qt::Key_Right, Qt::ShiftModifier);
  o.bench().finishPainting();
  CHECK(o.bench().grab().toImage() != without);
  for (int i = 0; i < 3; ++i) key(Qt::Key_Left);
  key(Qt::Key_Escape);
  o.bench().finishPainting();
  CHECK(o.bench().grab().toImage() == without);
}

TEST_CASE("a run by the keyboard alone: the button that leads on has the keyboard, and none that is gone is seen") {
  Opened o;
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 3);
  auto visible = [&](const char* name) {
    int n = 0;
    for (auto* b : o.window.findChildren<QPushButton*>(QString::fromLatin1(name))) n += b->isVisible();
    return n;
  };
  o.find<QPushButton>("startRun")->setFocus();
  auto& run = o.window.run();
  using State = RunController::State;
  for (int pauses = 0;; ++pauses) {
    QTest::keyClick(QApplication::focusWidget(), Qt::Key_Space);
    wait_for(
        [&] { return run.state() == State::over || (run.state() == State::paused && run.record().pauses > pauses); });
    const bool over = run.state() == State::over;
    const char* next = over ? "clearRun" : "confirmLoaded";
    wait_for([&] { return visible(next) == 1; });
    INFO("after " << pauses << " pauses");
    CHECK(visible("startRun") == 0);
    CHECK(visible("confirmLoaded") == (over ? 0 : 1));
    REQUIRE(QApplication::focusWidget());
    REQUIRE(QApplication::focusWidget()->objectName() == next);
    if (over) break;
  }
  CHECK(run.record().outcome == Outcome::done);
  CHECK(run.record().pauses == static_cast<int>(o.session().derived().plan.pauses.size()));
}

TEST_CASE("a recipe is frozen by its button: the same lines run, the recipe is gone, undo brings it back") {
  Opened o(demo(QStringLiteral("fair-stall")));
  const double mm = planned_mm(o);
  const Project before = o.project();
  for (const char* name : {"Lantern", "Label shadow", "Pin badge"}) {
    INFO(name);
    o.pick(name);
    o.click("freezeRecipe");
    CHECK(o.piece(name).plain());
    CHECK_FALSE(o.piece(name).lines.empty());
    CHECK(planned_mm(o) == Approx(mm).epsilon(1e-4));
    o.undo();
    CHECK(o.project() == before);
  }
}

TEST_CASE("a piece goes to another stock by the box, and its sheet comes and goes with it") {
  Opened o;
  const Project before = o.project();
  o.pick("Cliff");
  auto* box = o.find<QComboBox>("stockBox");
  CHECK(box->currentData().toString() == qs(o.piece("Cliff").stock));
  const std::size_t sheets = o.project().sheets.size();
  choose(box, QStringLiteral("vinyl"));
  o.session().settle();
  CHECK(o.piece("Cliff").stock == "vinyl");
  CHECK(o.project().sheets.size() == sheets + 1);
  while (!(o.project() == before)) o.undo();  // the keys went through the stocks between
  CHECK(o.piece("Cliff").stock == find_piece(before, o.piece("Cliff").id)->stock);
  // Pieces of two stocks: the box names neither, and sets both.
  o.pick({{o.piece("Cliff").id, ""}, {o.piece("Card base").id, ""}});
  CHECK(box->currentIndex() < 0);
  QTest::keyClick(box, Qt::Key_Down);
  o.session().settle();
  CHECK(o.piece("Cliff").stock == o.piece("Card base").stock);
  o.undo();
  CHECK(o.project() == before);
  CHECK(box->currentIndex() < 0);
}

TEST_CASE("a tool's kind is chosen on the rack, kept in the file and undone") {
  Opened o;
  o.stage(Stage::passes);
  o.click("addPen");
  const ToolKind before = find_tool(o.project(), "new-pen")->kind;
  auto* box = o.find<QComboBox>("toolKind");
  for (const ToolKind kind : kToolKinds) {
    choose(box, box->findData(static_cast<int>(kind)));
    o.session().settle();
    CHECK(find_tool(o.project(), "new-pen")->kind == kind);
  }
  o.answers.save = o.folder.filePath(QStringLiteral("rack.dotlane"));
  o.run("save-as");
  o.session().settle();
  Opened again(o.answers.save);
  CHECK(find_tool(again.project(), "new-pen")->kind == kToolKinds.back());
  for (int i = 0; i < 20 && find_tool(o.project(), "new-pen")->kind != before; ++i) o.undo();
  CHECK(find_tool(o.project(), "new-pen")->kind == before);
}

TEST_CASE("guessed roles are confirmed at once by their button") {
  Opened o{QString()};
  o.answers.open = {QStringLiteral(DOTLANE_DEMO "/art/lighthouse-card.svg")};
  o.run("bring-in");
  auto guessed = [&] {
    int n = 0;
    for (const auto& piece : o.project().pieces) {
      for (const auto& line : piece->lines) n += line.role_guessed;
    }
    return n;
  };
  REQUIRE(guessed() > 0);
  o.pick({{o.project().pieces.front()->id, ""}});
  o.click("confirmRoles");
  CHECK(guessed() == 0);
  for (const auto& f : o.session().derived().findings) CHECK(f.code != "role-guessed");
  o.undo();
  CHECK(guessed() > 0);
}

TEST_CASE("the project's menu opens by a click and its entries are the actions of their names") {
  Opened o;
  // Two projects of one name, in two folders.
  QTemporaryDir other;
  o.put(o.project(), QStringLiteral("Fair & square.dotlane"));
  const QString copy = other.filePath(QStringLiteral("Fair & square.dotlane"));
  REQUIRE(QFile::copy(o.session().path(), copy));
  o.window.take({copy});
  o.session().settle();
  auto* button = o.find<QPushButton>("projectMenu");
  REQUIRE(button->menu());
  std::set<QString> texts;
  for (const QAction* a : button->menu()->actions()) {
    if (a->isSeparator()) continue;
    INFO(a->text().toStdString());
    CHECK(texts.insert(a->text()).second);
    CHECK_FALSE(a->text().isEmpty());
  }
  CHECK(texts.count(QStringLiteral("Fair && square.dotlane in %1").arg(o.folder.path())) == 1);
  CHECK(texts.count(QStringLiteral("Fair && square.dotlane in %1").arg(other.path())) == 1);
  // Saved under another name from there.
  o.answers.save = o.folder.filePath(QStringLiteral("by menu.dotlane"));
  const QAction* save_as = o.window.actions().find(QStringLiteral("save-as"));
  o.click_entry(button, [&](const QAction* a) { return a->text() == save_as->text(); });
  o.session().settle();
  CHECK(o.session().path() == o.answers.save);
  CHECK(button->text().contains(QStringLiteral("Lighthouse")));
}

}  // namespace dotlane::test
