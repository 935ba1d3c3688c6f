// The panels on the right, the ledger and the notices, driven by hand.
#include <QCheckBox>
#include <QComboBox>
#include <QTreeView>
#include <random>
#include <set>

#include "app/action_finder.hpp"
#include "app/notice.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "core/project/edit.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

TEST_CASE("the rack: add, rename, change, copy and take off a tool") {
  Opened o;
  o.stage(Stage::passes);
  const auto before = o.project().tools.size();
  o.click("addPen");
  REQUIRE(o.project().tools.size() == before + 1);
  auto* name = o.find<QLineEdit>("toolName");
  name->selectAll();
  QTest::keyClicks(name, "Silver pen");
  CHECK(find_tool(o.project(), "new-pen")->name == "Silver pen");
  type(o.find<NumberField>("toolTip"), "0.8");
  CHECK(find_tool(o.project(), "new-pen")->tip_width_mm == Approx(0.8));
  o.click("toolServes-foil");
  CHECK(serves(*find_tool(o.project(), "new-pen"), Role::foil));
  o.click("copyTool");
  CHECK(find_tool(o.project(), "silver-pen-copy"));
  o.click("removeTool");
  CHECK_FALSE(find_tool(o.project(), "silver-pen-copy"));
  // A tool that lines want cannot be taken off.
  o.click("tool-fine-blade");
  CHECK_FALSE(o.find<QPushButton>("removeTool")->isEnabled());
}

TEST_CASE("force, speed and repeats belong to the stock and the role") {
  Opened o;
  o.stage(Stage::passes);
  const auto& passes = o.session().derived().plan.passes;
  const int cut = static_cast<int>(passes.size());
  QTest::mouseClick(o.window.lanes().viewport(), Qt::LeftButton, {}, o.window.lanes().blockOf(cut).center().toPoint());
  CHECK(o.window.lanes().currentPass() == cut);
  const double seconds = passes.back().seconds;
  type(named(o, "Force of this pass"), "145");
  type(named(o, "Repeats of this pass"), "2");
  o.session().settle();
  CHECK(o.session().derived().plan.passes.back().force_gf == 145);
  CHECK(o.session().derived().plan.passes.back().repeats == 2);
  CHECK(o.session().derived().plan.passes.back().seconds > 1.8 * seconds);
  CHECK(find_stock(o.project(), "night-card")->settings.at(Role::cut).repeats == 2);
}

TEST_CASE("the order of roles is changed by arrows and comes back by a fix") {
  Opened o;
  o.stage(Stage::passes);
  for (int i = 0; i < 5; ++i) {
    QAbstractButton* earlier = nullptr;
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    for (auto* b : o.window.findChildren<QAbstractButton*>()) {
      if (b->accessibleName() == "Run cut earlier") earlier = b;
    }
    REQUIRE(earlier);
    QTest::mouseClick(earlier, Qt::LeftButton);
    o.session().settle();
  }
  CHECK(o.project().plan.role_order.front() == Role::cut);
  CHECK(o.session().derived().plan.passes.front().role == Role::cut);
  o.click("secondLookPill");
  o.click("fix-cut-before");
  CHECK(o.project().plan.role_order.back() == Role::cut);
}

TEST_CASE("a pass says why it comes where it does, stays where it is dragged, and is let go") {
  Opened o;
  o.stage(Stage::passes);
  auto& lanes = o.window.lanes();
  const auto click = [&](int pass) {
    QTest::mouseClick(lanes.viewport(), Qt::LeftButton, {}, lanes.blockOf(pass).center().toPoint());
    o.session().settle();
  };
  const auto passes = [&]() -> const std::vector<Pass>& { return o.session().derived().plan.passes; };
  REQUIRE_FALSE(o.project().plan.by_hand.empty());
  o.click("planAgain");  // what is put in order by hand in the demo
  o.session().settle();
  CHECK(o.project().plan.by_hand.empty());
  const int last = static_cast<int>(passes().size());
  REQUIRE(passes().back().role == Role::cut);
  click(last);
  auto* why = o.find<QLabel>("passWhy");
  CHECK(why->text().contains("score before cut"));
  CHECK_FALSE(o.find<QPushButton>("passLetGo")->isVisible());
  // To the front: before all that it is dragged over.
  const Pass cut = passes().back();
  drag(lanes.viewport(), lanes.blockOf(last).center().toPoint(),
       QPoint(static_cast<int>(lanes.blockOf(1).left()) - 4, 60));
  o.session().settle();
  CHECK(passes().front().key == cut.key);
  click(1);
  CHECK(why->text().contains("put so by hand"));
  // With another number of repeats it is still there.
  auto* repeats = named(o, "Repeats of this pass");
  type(repeats, "3");
  o.session().settle();
  CHECK(passes().front().role == Role::cut);
  CHECK(passes().front().repeats == 3);
  click(1);
  o.click("passLetGo");
  o.session().settle();
  CHECK(passes().back().role == Role::cut);
  CHECK(o.project().plan.by_hand.empty());
}

TEST_CASE("in the lanes of 50 plans no words lie on others, on a pass or on the line of a pause") {
  Opened o;
  o.stage(Stage::passes);
  std::mt19937 random(1450);
  const auto any = [&](int low, int high) {
    return low + static_cast<int>(random() % static_cast<unsigned>(high - low + 1));
  };
  std::vector<Project> demos;
  for (const char* name : {"lighthouse-card", "fair-stall", "stall-sign", "fair-pennants", "wading-heron"})
    demos.push_back(*load_project((std::string(DOTLANE_DEMO) + "/" + name + ".dotlane")));
  std::size_t words = 0, beside = 0;
  for (int round = 0; round < 50; ++round) {
    Project p = demos[static_cast<std::size_t>(any(0, 4))];
    p.machine.holders = any(1, 4);
    p.machine.swap_s = any(0, 90), p.machine.set_s = any(0, 40);
    std::shuffle(p.plan.role_order.begin(), p.plan.role_order.end(), random);
    for (auto& stock : p.stocks) {
      for (auto& [role, setting] : stock.settings) setting.speed_mm_s = any(10, 120), setting.repeats = any(1, 3);
    }
    o.put(p);
    INFO("round " << round << ": " << p.name);
    const auto& lanes = o.window.lanes();
    const auto labels = lanes.labels();
    const auto& passes = o.session().derived().plan.passes;
    REQUIRE(labels.size() == passes.size());
    for (std::size_t i = 0; i < labels.size(); ++i) {
      const auto& label = labels[i];
      if (label.words.isEmpty()) continue;
      ++words, beside += !label.inside;
      INFO(label.words.toStdString());
      if (label.inside) continue;
      CHECK(QFontMetrics(ui_font(11.5)).horizontalAdvance(label.words) <= label.place.width());
      CHECK(label.place.right() <= lanes.viewport()->width());
      for (const double x : lanes.pauseLines()) CHECK((x < label.place.left() || x > label.place.right()));
      for (std::size_t j = 0; j < labels.size(); ++j) {
        CHECK_FALSE(label.place.intersects(lanes.blockOf(static_cast<int>(j) + 1)));
        if (j != i && !labels[j].words.isEmpty()) CHECK_FALSE(label.place.intersects(labels[j].place));
      }
    }
  }
  CHECK(words > 200);
  CHECK(beside > 50);
}

TEST_CASE("a blade at another mark is set anew in a pause, and the card says so") {
  Opened o;
  Project p = o.project();
  for (auto& stock : p.stocks) {
    if (stock.id == "cloud-card") stock.settings[Role::cut].depth = 5;
    if (stock.id == "night-card") stock.settings[Role::cut].depth = 4;
  }
  o.put(p);
  const auto marks = [&] {
    const auto& pauses = o.session().derived().plan.pauses;
    return std::count_if(pauses.begin(), pauses.end(), [](const Pause& pause) {
      return std::any_of(pause.holders.begin(), pause.holders.end(),
                         [](const HolderLoad& l) { return l.put_in.empty() && l.depth > 0; });
    });
  };
  CHECK(marks() == 1);
  // The top bar says what an edit saves or costs, until the next one.
  auto* cost = o.find<QLabel>("editCost");
  CHECK(cost->text().isEmpty());
  o.stage(Stage::sheets);
  o.click("setsDepth");
  o.session().settle();
  CHECK(o.project().machine.sets_depth);
  CHECK(marks() == 0);
  CHECK(cost->text().startsWith(QChar(0x2212) + QStringLiteral("1\u00a0pause")));
  CHECK(cost->text().endsWith("15 s"));
  o.click("setsDepth");
  o.session().settle();
  CHECK(cost->text().startsWith("+1"));
}

TEST_CASE("sheets: size, place, stock and machine are typed") {
  Opened o;
  o.stage(Stage::sheets);
  type(named(o, "Sheet width"), "200");
  CHECK(o.project().sheets[0].area.width() == Approx(200));
  CHECK(o.project().sheets[0].area.x0 == Approx(12));
  o.session().settle();
  CHECK_FALSE(o.session().derived().findings.empty());  // the card no longer fits its sheet
  CHECK(o.session().derived().findings.front().code == "off-sheet");
  type(named(o, "Thickness of the stock"), "2.7");
  o.session().settle();
  const auto& findings = o.session().derived().findings;
  CHECK(std::any_of(findings.begin(), findings.end(), [](const Finding& f) { return f.code == "stock-over-rating"; }));
  type(named(o, "Time for one tool swap by hand"), "10");
  CHECK(o.project().machine.swap_s == 10);
  auto* mat = o.find<QComboBox>("matBox");
  choose(mat, 1);
  CHECK(o.project().machine.mat.height_mm == Approx(609.6));
}

TEST_CASE("lines are taken by colour and by layer, and their tool and repeats changed") {
  Opened o(QString{});
  o.window.take({QStringLiteral(DOTLANE_DEMO "/art/lighthouse-card.svg")});
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 1);
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  auto row = [&](const QString& part) {
    for (auto* b : o.find("recipePanel")->findChildren<QPushButton*>()) {
      if (b->property("kind").toString() == "row" && b->text().contains(part)) return b;
    }
    FAIL("no row with " << part.toStdString());
    return static_cast<QPushButton*>(nullptr);
  };
  QTest::mouseClick(row(QStringLiteral("Layer Cliff")), Qt::LeftButton);
  CHECK(o.session().selectedLines().size() == 2);
  o.pick({{1, ""}});
  QTest::mouseClick(row(QStringLiteral("amber")), Qt::LeftButton);
  const auto amber = o.session().selectedLines();
  CHECK(amber.size() == 6);
  auto* tool = o.find<QComboBox>("toolBox");
  const int pencil = tool->findData("pencil");
  REQUIRE(pencil >= 0);
  choose(tool, pencil);
  CHECK(wants_tool(o.project(), "pencil"));
  o.run("split-layers");
  o.session().settle();
  CHECK(o.project().pieces.size() == 5);
  CHECK(o.find<QTreeView>("ledger")->model()->rowCount() == 6);  // a stock and its pieces
  o.pick({{o.piece("Cliff").id, "ledges"}});
  o.run("same-color");
  CHECK(o.session().selection().size() == 6);
}

TEST_CASE("confirming, duplicating, layer order and removing, each one step back") {
  Opened o;
  const Project start = o.project();
  auto act = [&](const char* id) { o.run(id); };
  o.pick({{o.piece("Cliff").id, ""}});
  act("duplicate");
  CHECK(o.project().pieces.size() == 6);
  CHECK(o.session().selectedPieces().front() == 6);
  act("layer-up");
  CHECK(o.project().pieces[2]->id == 6);
  act("layer-down");
  act("delete");
  CHECK(o.project().pieces.size() == 5);
  CHECK_FALSE(o.window.actions().find(QStringLiteral("delete"))->isEnabled());
  CHECK(o.window.actions().find(QStringLiteral("undo"))->text() == "Undo: Remove");
  for (int i = 0; i < 4; ++i) act("undo");
  CHECK(o.project() == start);
  CHECK_FALSE(o.session().modified());
  for (int i = 0; i < 4; ++i) act("redo");
  CHECK(o.project().pieces.size() == 5);
}

TEST_CASE("the unit belongs to the project and is saved with it") {
  QTemporaryDir folder;
  Opened o;
  o.click("unitInch");
  o.answers.save = folder.filePath(QStringLiteral("inches.dotlane"));
  o.run("save-as");
  o.session().settle();
  Opened again(o.answers.save);
  CHECK(again.project().unit == LengthUnit::inch);
}

TEST_CASE("number fields: arrows step, escape gives up, range is kept") {
  NumberField field(QStringLiteral("Test"), NumberField::Kind::plain, nullptr, QStringLiteral("gf"));
  field.setRange(10, 50);
  field.setValue(30);
  field.show();
  QTest::keyClick(field.editor(), Qt::Key_Up);
  CHECK(field.value() == 32);
  QTest::keyClick(field.editor(), Qt::Key_Down, Qt::ShiftModifier);
  CHECK(field.value() == 12);
  field.editor()->selectAll();
  QTest::keyClicks(field.editor(), "99");
  CHECK(field.editor()->property("wrong").toBool());
  CHECK(field.value() != 99);
  QTest::keyClick(field.editor(), Qt::Key_Return);
  CHECK_FALSE(field.editor()->property("wrong").toBool());
}

TEST_CASE("notices say, ask and go away") {
  QWidget window;
  Notice notice(&window);
  notice.say(QStringLiteral("Saved card.dotlane"), false);
  CHECK(notice.message() == "Saved card.dotlane");
  int chosen = 0;
  notice.ask(QStringLiteral("Which?"),
             {{QStringLiteral("one"), [&] { chosen = 1; }}, {QStringLiteral("two"), [&] { chosen = 2; }}});
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  const auto buttons = notice.findChildren<QPushButton*>();
  REQUIRE(buttons.size() == 2);
  QTest::mouseClick(buttons[1], Qt::LeftButton);
  CHECK(chosen == 2);
  CHECK_FALSE(notice.isVisibleTo(&window));
}

TEST_CASE("the action list: arrows move, escape closes, unknown words say so") {
  Opened o;
  auto* finder = o.find<ActionFinder>("actionFinder");
  auto* list = o.find<QListWidget>("actionList");
  finder->begin();
  CHECK(list->count() == static_cast<int>(o.window.actions().all().size()));
  QTest::keyClick(finder, Qt::Key_Down);
  CHECK(list->currentRow() == 1);
  QTest::keyClicks(finder, "zzz");
  CHECK(list->count() == 1);
  CHECK(list->item(0)->text() == "No action has these words");
  QTest::keyClick(finder, Qt::Key_Return);
  CHECK_FALSE(list->isVisible());
  finder->begin();
  QTest::keyClick(finder, Qt::Key_Escape);
  CHECK_FALSE(list->isVisible());
}

TEST_CASE("every stage fits a window of 1060 by 680 in light and dark") {
  Opened o;
  o.window.resize(1060, 680);
  for (const bool dark : {false, true}) {
    use_theme(dark);
    for (int stage = 0; stage < 5; ++stage) {
      o.stage(static_cast<Stage>(stage));
      o.session().settle();
      CHECK(o.window.width() == 1060);
      CHECK(o.window.height() == 680);
      CHECK(o.bench().width() > 400);
      // Nothing in the bar along the top is squeezed below what its words need.
      for (auto* pill : o.window.findChildren<StagePill*>()) CHECK(pill->width() >= pill->sizeHint().width());
    }
  }
  use_theme(false);
}

TEST_CASE("two mat loads are shown one at a time and the ledger leads to the other") {
  Opened o;
  o.pick({{o.piece("Cliff").id, ""}});
  Project next = o.project();
  for (auto& sheet : next.sheets) sheet.load = sheet.id;
  o.put(std::move(next));
  o.session().settle();
  o.pick({{o.piece("Greeting").id, ""}});
  CHECK(o.bench().load() == 1);
  o.pick({{o.piece("Cliff").id, ""}});
  CHECK(o.bench().load() == 2);
  o.click("loadButton");
  CHECK(o.bench().load() == 1);
  const auto& plan = o.session().derived().plan;
  CHECK(std::count_if(plan.pauses.begin(), plan.pauses.end(), [](const Pause& p) { return p.change_mat; }) == 1);
}

TEST_CASE("every number in the panels changes the project by typing, and undo takes it back whole") {
  Opened o;
  std::set<QString> tried;
  auto fields = [&] {
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    std::vector<NumberField*> out;
    for (auto* f : o.window.findChildren<NumberField*>()) {
      if (f->isVisible() && f->isEnabled()) out.push_back(f);
    }
    return out;
  };
  auto try_all = [&](const QString& where) {
    // By place: an edit may build rows anew.
    for (std::size_t i = 0; i < fields().size(); ++i) {
      const QString name = fields()[i]->editor()->accessibleName();
      // What is wished for a moment is no part of the project.
      const auto in_card = [&](const char* card) { return o.find<QWidget>(card)->isAncestorOf(fields()[i]); };
      if (name == QStringLiteral("Coverage wanted") || name.startsWith(QStringLiteral("Turn by")) ||
          name.contains(QStringLiteral("for the shelf")) || in_card("boltCard") || in_card("batchCard"))
        continue;
      INFO(where.toStdString() << ": " << name.toStdString());
      const Project before = o.project();
      const double now = QLocale().toDouble(fields()[i]->editor()->text());
      for (const double other : {now + 1, now - 1, now + 0.05, now - 0.05}) {
        NumberField* field = fields()[i];
        field->editor()->setFocus();
        field->editor()->selectAll();
        QTest::keyClicks(field->editor(), QLocale().toString(other, 'f', 2));
        QTest::keyClick(field->editor(), Qt::Key_Return);
        QCoreApplication::processEvents();
        if (!(o.project() == before)) break;
      }
      CHECK_FALSE(o.project() == before);
      for (int k = 0; k < 6 && !(o.project() == before) && o.session().canUndo(); ++k) o.undo();
      QCoreApplication::processEvents();
      CHECK(o.project() == before);
      tried.insert(where + name + QString::number(i));
    }
  };
  o.stage(Stage::sheets);
  o.session().settle();
  auto* parts = o.find<QListView>("partsLedger");
  QTest::mouseClick(parts->viewport(), Qt::LeftButton, {}, parts->visualRect(parts->model()->index(1, 0)).center());
  try_all(QStringLiteral("sheets"));
  o.stage(Stage::passes);
  QTest::mouseClick(o.window.lanes().viewport(), Qt::LeftButton, {}, o.window.lanes().blockOf(1).center().toPoint());
  o.session().settle();
  try_all(QStringLiteral("passes"));
  o.stage(Stage::draft);
  for (const char* name : {"Card base", "Wave border"}) {
    o.pick({{o.piece(name).id, ""}});
    o.session().settle();
    try_all(QString::fromLatin1(name));
    for (const auto& step : std::vector<Step>(o.piece(name).steps)) {
      o.window.openStep(step.id);
      o.session().settle();
      try_all(QString::fromLatin1(name) + qs(step.kind));
    }
  }
  CHECK(tried.size() > 40);
}

TEST_CASE("a stock can be told to be clear, and no more") {
  Opened o(demo(QStringLiteral("moorings-tag")));
  o.stage(Stage::sheets);
  o.session().settle();
  // The card is that of the sheet whose heading is clicked.
  auto* list = o.find<QListView>("partsLedger");
  for (int i = 0; i < list->model()->rowCount(); ++i) {
    const QModelIndex row = list->model()->index(i, 0);
    if (!row.data().toString().contains(qs(find_stock(o.project(), "acrylic")->name))) continue;
    list->scrollTo(row);
    QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualRect(row).center());
    break;
  }
  auto* clear = o.find<QCheckBox>("stockClear");
  REQUIRE(clear->isChecked());
  click(clear);
  o.session().settle();
  CHECK_FALSE(find_stock(o.project(), "acrylic")->clear);
  o.undo();
  CHECK(find_stock(o.project(), "acrylic")->clear);
}

TEST_CASE("parts are packed by a button, as far as it is good enough, and lie as drawn again by another") {
  Opened o(demo(QStringLiteral("fair-stall")));
  o.stage(Stage::sheets);
  const Project before = o.project();
  auto* pack = o.find<QPushButton>("packParts");
  auto* text = o.find<QLabel>("packedText");
  CHECK(text->text().contains("as drawn"));
  CHECK_FALSE(o.find<QPushButton>("layAsDrawn")->isEnabled());
  choose(o.find<QComboBox>("turnsBox"), 2);
  type(named(o, "Gap between parts"), "3");
  click(pack);
  CHECK(pack->text() == "Good enough");
  wait_for([&] { return text->text().startsWith("So far"); });
  click(pack);
  wait_for([&] { return pack->text() == "Pack the parts"; });
  o.session().settle();
  const Derived packed = o.session().derived();
  CHECK_FALSE(packed.layout.as_figure());
  for (const auto& laid : packed.layout.laid) {
    CHECK(laid.sheet != 0);
    CHECK_FALSE(laid.drawn);
  }
  CHECK(text->text().contains("in its own place"));
  CHECK(bounds_of(packed.drawing, lines_of_piece(packed.drawing, before.pieces[0]->id)) ==
        bounds_of(o.session().drawing(), lines_of_piece(o.session().drawing(), before.pieces[0]->id)));
  click(o.find<QPushButton>("layAsDrawn"));
  o.session().settle();
  CHECK(o.session().derived().layout.as_figure());
  for (int i = 0; i < 5 && !(o.project() == before); ++i) o.run("undo");
  CHECK(o.project() == before);
}

TEST_CASE("what is edited while the parts are packed stays, and the packing is let go") {
  Opened o(demo(QStringLiteral("fair-stall")));
  o.stage(Stage::sheets);
  auto* pack = o.find<QPushButton>("packParts");
  click(pack);
  wait_for([&] { return o.find<QLabel>("packedText")->text().startsWith("So far"); });
  o.click("unitInch");
  const Project edited = o.project();
  click(pack);
  wait_for([&] { return pack->text() == "Pack the parts"; });
  o.session().settle();
  CHECK(o.project() == edited);
  CHECK(o.session().derived().layout.as_figure());
}
