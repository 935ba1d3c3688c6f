// Hands on the window: selecting, moving, sizing, finding actions, reordering passes.
#include <QComboBox>
#include <QMimeData>
#include <QTimer>
#include <QToolTip>
#include <QTreeView>
#include <set>

#include "app/bench/rulers.hpp"
#include "app/widgets/number_field.hpp"
#include "core/format/files.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/project/edit.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

TEST_CASE("a click picks the piece, a second click the line, in bench and ledger alike") {
  Opened o;
  const Piece& rock = o.piece("Cliff");
  const Vec corner = rock.placement(Vec{191, 240});
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(corner.x, corner.y));
  CHECK(o.session().selection() == std::vector<LineRef>{{rock.id, ""}});
  auto* tree = o.find<QTreeView>("ledger");
  CHECK(tree->selectionModel()->selectedIndexes().size() == 1);
  CHECK(tree->selectionModel()->selectedIndexes().front().data().toString() == "Cliff");
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(corner.x, corner.y));
  CHECK(o.session().selection() == std::vector<LineRef>{{rock.id, "rock"}});
  CHECK(tree->selectionModel()->selectedIndexes().front().parent().data().toString() == "Cliff");
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(297, 300));
  CHECK(o.session().selection().empty());
}

TEST_CASE("dragging moves a piece in one undo step") {
  Opened o;
  run(o, "snap");  // just where the hand puts it
  const Vec corner = o.piece("Cliff").placement(Vec{172, 262});
  const Box before = o.bounds("Cliff");
  const QPoint from = o.at(corner.x, corner.y);
  QTest::mousePress(&o.bench(), Qt::LeftButton, {}, from);
  for (int i = 1; i <= 10; ++i) QTest::mouseMove(&o.bench(), from + QPoint(-3 * i, -2 * i));
  QTest::mouseRelease(&o.bench(), Qt::LeftButton, {}, from + QPoint(-30, -20));
  o.session().settle();
  const Box after = o.bounds("Cliff");
  CHECK(after.x0 - before.x0 == Approx(-30 / o.bench().view().px_per_mm).margin(0.01));
  CHECK(after.width() == Approx(before.width()));
  o.undo();
  CHECK(o.bounds("Cliff") == before);
  CHECK_FALSE(o.session().canUndo());
}

TEST_CASE("typing a width resizes live, keeps proportions, takes other units, and undoes as one step") {
  Opened o;
  o.pick({{o.piece("Lighthouse").id, ""}});
  o.session().settle();
  auto* field = o.find<NumberField>("widthField");
  QLineEdit* edit = field->editor();
  edit->setFocus();
  edit->selectAll();
  QTest::keyClicks(edit, "22");
  CHECK(o.bounds("Lighthouse").width() == Approx(22));
  CHECK(o.bounds("Lighthouse").height() == Approx(55).epsilon(0.001));
  QTest::keyClick(edit, Qt::Key_Return);
  o.session().settle();
  CHECK(o.session().undoLabel() == "Resize");
  edit->selectAll();
  QTest::keyClicks(edit, "1in");
  CHECK(o.bounds("Lighthouse").width() == Approx(25.4));
  edit->selectAll();
  QTest::keyClicks(edit, "lots");
  CHECK(edit->property("wrong").toBool());
  CHECK(o.bounds("Lighthouse").width() == Approx(25.4));
  QTest::keyClick(edit, Qt::Key_Return);
  CHECK(edit->text() == "25.4");
  o.undo();
  o.undo();
  CHECK_FALSE(o.session().canUndo());
}

TEST_CASE("fields take fractions and sums, and say what they cannot read") {
  Opened o;
  o.pick({{o.piece("Lighthouse").id, ""}});
  o.session().settle();
  auto* field = o.find<NumberField>("widthField");
  QLineEdit* edit = field->editor();
  const auto typed = [&](const char* text) {
    edit->setFocus();
    edit->selectAll();
    QTest::keyClicks(edit, QString::fromUtf8(text));
  };
  typed("1 1/2 in");
  QTest::keyClick(edit, Qt::Key_Return);
  o.session().settle();
  CHECK(o.bounds("Lighthouse").width() == Approx(38.1).margin(1e-6));
  typed("12.7 mm + 3");
  QTest::keyClick(edit, Qt::Key_Return);
  o.session().settle();
  CHECK(o.bounds("Lighthouse").width() == Approx(15.7).margin(1e-6));
  // While it is typed nothing is said; after a pause, or at once by Enter, it is.
  typed("3 furlongs");
  CHECK(edit->property("wrong").toBool());
  CHECK_FALSE(QToolTip::isVisible());
  wait_for([] { return QToolTip::isVisible(); });
  CHECK(QToolTip::text().contains(QStringLiteral("furlongs")));
  CHECK(edit->accessibleDescription().contains(QStringLiteral("furlongs")));
  typed("20");
  CHECK_FALSE(edit->property("wrong").toBool());
  CHECK(edit->accessibleDescription().isEmpty());
  typed("99999");
  QTest::keyClick(edit, Qt::Key_Return);
  CHECK(QToolTip::text().contains(QStringLiteral("At most")));
  o.session().settle();
  CHECK(o.bounds("Lighthouse").width() < 1000);
  QToolTip::hideText();
}

TEST_CASE("arrow keys nudge by 1, 10 and 0.1 mm, letters give roles") {
  Opened o;
  o.pick({{o.piece("Cliff").id, ""}});
  const double x = o.bounds("Cliff").x0;
  o.bench().setFocus();
  o.press(Qt::Key_Right);
  o.press(Qt::Key_Right, Qt::ShiftModifier);
  o.press(Qt::Key_Left, Qt::AltModifier);
  CHECK(o.bounds("Cliff").x0 == Approx(x + 10.9));
  o.pick({{o.piece("Cliff").id, "ledges"}});
  QTest::keyClick(&o.bench(), Qt::Key_F);
  o.session().settle();
  CHECK(o.piece("Cliff").lines[1].role == Role::foil);
  CHECK(o.piece("Cliff").lines[1].tool == "foil-tip-fine");
}

TEST_CASE("zooming keeps the place under the pointer") {
  Opened o;
  const QPointF pointer(400, 300);
  const Vec before = o.bench().view().to_mm(pointer);
  for (const int ticks : {120, 120, -240, 600}) {
    QWheelEvent wheel(pointer, o.bench().mapToGlobal(pointer), {}, {0, ticks}, Qt::NoButton, Qt::NoModifier,
                      Qt::NoScrollPhase, false);
    QApplication::sendEvent(&o.bench(), &wheel);
    const Vec now = o.bench().view().to_mm(pointer);
    CHECK(distance(now, before) < 1e-6);
  }
  o.run("zoom-fit");
  CHECK(o.bench().view().to_px(o.project().machine.mat_area()).width() < o.bench().width());
}

TEST_CASE("files dropped on the bench come in") {
  Opened o(QString{});
  QMimeData data;
  data.setUrls({QUrl::fromLocalFile(QStringLiteral(DOTLANE_TEST_DATA "/svg/01_basic_shapes_mm.svg"))});
  drop(&o.bench(), data);
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 1);
  CHECK(o.project().pieces[0]->lines.size() == 8);
  CHECK(o.session().undoLabel().startsWith("Bring in"));
  o.run("confirm-roles");
  o.session().settle();
  for (const auto& f : o.session().derived().findings) CHECK(f.code != "role-guessed");
}

TEST_CASE("the action list finds and runs actions by their words") {
  Opened o;
  o.run("find-action");
  auto* finder = o.find<QLineEdit>("actionFinder");
  CHECK(finder->hasFocus());
  QTest::keyClicks(finder, "mirror job");
  CHECK(o.find("actionList")->isVisible());
  QTest::keyClick(finder, Qt::Key_Return);
  o.session().settle();
  CHECK(o.project().plan.mirrored);
  CHECK_FALSE(o.find("actionList")->isVisible());
}

TEST_CASE("every action has words and a shortcut of its own") {
  Opened o;
  std::set<QString> keys, texts;
  std::set<std::pair<QObject*, QString>> local;  // on the bench and on the sheets a key may do what is alike
  for (const QAction* action : o.window.actions().all()) {
    INFO(action->objectName().toStdString());
    CHECK_FALSE(action->text().isEmpty());
    CHECK_FALSE(action->shortcut().isEmpty());
    const QString key = action->shortcut().toString();
    if (action->shortcutContext() == Qt::WindowShortcut) {
      CHECK(keys.insert(key).second);
    } else {
      REQUIRE_FALSE(action->associatedObjects().isEmpty());
      CHECK(local.insert({action->associatedObjects().front(), key}).second);
    }
    CHECK(texts.insert(action->text()).second);
  }
  for (const auto& [place, key] : local) CHECK_FALSE(keys.count(key));
  CHECK(keys.size() > 35);
}

TEST_CASE("every action runs by its keys in every stage, and undo takes back all it changed") {
  Opened o;
  // Menus and dialogs run loops of their own: what stays open for a moment is closed.
  QTimer closer;
  QObject::connect(&closer, &QTimer::timeout, [] {
    if (QWidget* popup = QApplication::activePopupWidget()) popup->close();
    if (QWidget* modal = QApplication::activeModalWidget()) modal->close();
  });
  const QStringList left_alone{QStringLiteral("close"), QStringLiteral("new"),  QStringLiteral("open"),
                               QStringLiteral("save"),  QStringLiteral("undo"), QStringLiteral("redo"),
                               QStringLiteral("dark")};
  int changed = 0, ran = 0;
  for (const Stage stage : {Stage::draft, Stage::sheets, Stage::passes, Stage::run}) {
    for (QAction* action : o.window.actions().all()) {
      if (action->shortcut().isEmpty() || left_alone.contains(action->objectName())) continue;
      o.stage(stage);
      o.pick("Wave border");
      if (!action->isEnabled()) continue;
      // Keys of a place are for where that place is.
      const auto places = action->associatedObjects();
      if (std::none_of(places.begin(), places.end(), [](QObject* p) { return static_cast<QWidget*>(p)->isVisible(); }))
        continue;
      INFO(action->objectName().toStdString() << " in stage " << static_cast<int>(stage));
      const Project before = o.project();
      bool heard = false;
      const auto listening = QObject::connect(action, &QAction::triggered, action, [&heard] { heard = true; });
      closer.start(25);
      o.table()->setFocus();
      o.window.activateWindow();
      (void)QTest::qWaitForWindowActive(&o.window, 1000);
      QTest::keySequence(o.table(), action->shortcut());
      o.session().settle();
      wait_for([] { return !QApplication::activeModalWidget() && !QApplication::activePopupWidget(); });
      closer.stop();
      QObject::disconnect(listening);
      CHECK(heard);
      ++ran;
      // What opened beside the window goes again.
      for (QWidget* other : QApplication::topLevelWidgets()) {
        if (other != &o.window && other->isVisible()) other->close();
      }
      QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
      // It says so in the project, or it changed nothing there; either way nothing is broken.
      if (o.window.run().active()) o.run("run-cancel");
      if (o.window.run().active()) wait_for([&] { return !o.window.run().active(); });
      QTest::keyClick(o.table(), Qt::Key_Escape);
      o.session().settle();
      if (!(o.project() == before)) ++changed;
      for (int i = 0; i < 3 && !(o.project() == before); ++i) o.undo();
      REQUIRE(o.project() == before);
    }
  }
  CHECK(ran > 150);
  CHECK(changed > 60);
}

TEST_CASE("everything that takes the keyboard has a name for those who cannot see it") {
  Opened o;
  o.pick({{o.piece("Lighthouse").id, ""}});
  for (int stage = 0; stage < 4; ++stage) {
    o.stage(static_cast<Stage>(stage));
    o.session().settle();
    for (const QWidget* w : o.window.findChildren<QWidget*>()) {
      if (!w->isVisible() || w->focusPolicy() == Qt::NoFocus || w->focusProxy()) continue;
      if (w->inherits("QScrollArea") || w->inherits("QScrollBar") || w->inherits("QLabel") ||
          w->inherits("QStackedWidget"))
        continue;
      const auto* button = qobject_cast<const QAbstractButton*>(w);
      INFO(w->metaObject()->className() << " " << w->objectName().toStdString());
      CHECK((!w->accessibleName().isEmpty() || (button && !button->text().isEmpty())));
    }
  }
}

TEST_CASE("dragging a pass to the front reorders the plan and says at once what breaks") {
  Opened o;
  auto& lanes = o.window.lanes();
  const auto& passes = o.session().derived().plan.passes;
  const int last = static_cast<int>(passes.size());
  const std::string key = passes.back().key;
  const QPoint from = lanes.blockOf(last).center().toPoint(), to(271, from.y());
  QTest::mousePress(lanes.viewport(), Qt::LeftButton, {}, from);
  QTest::mouseMove(lanes.viewport(), from - QPoint(40, 0));
  QTest::mouseMove(lanes.viewport(), to);
  QTest::mouseRelease(lanes.viewport(), Qt::LeftButton, {}, to);
  o.session().settle();
  CHECK(o.session().derived().plan.passes.front().key == key);
  REQUIRE_FALSE(o.session().derived().findings.empty());
  CHECK(o.session().derived().findings.front().code == "cut-before");  // small parts are cut loose first
  o.click("secondLookPill");
  o.click("fix-cut-before");
  CHECK(worst(o.session().derived().findings).value_or(Severity::info) == Severity::info);
}

TEST_CASE("scrubbing the lanes shows the head on the bench") {
  Opened o;
  auto& lanes = o.window.lanes();
  const QImage before = o.bench().grab().toImage();
  QTest::mousePress(lanes.viewport(), Qt::LeftButton, {}, QPoint(700, 20));
  QTest::mouseRelease(lanes.viewport(), Qt::LeftButton, {}, QPoint(700, 20));
  CHECK(lanes.time() > 0);
  CHECK(o.bench().grab().toImage() != before);
  lanes.setFocus();
  QTest::keyClick(&lanes, Qt::Key_Escape);
  CHECK(lanes.time() < 0);
}

TEST_CASE("scrubbing into another mat load puts that load on the bench") {
  // The marks of the second load lay over the first one's sheet.
  Opened o(demo(QStringLiteral("fair-stall")));
  o.stage(Stage::passes);
  auto* on_lanes = o.window.lanes().viewport();
  const auto* load = o.find<QToolButton>("loadButton");
  const double end = o.session().derived().plan.seconds;
  REQUIRE(load->text() == QStringLiteral("Mat load 1 of 2"));
  QTest::mouseClick(on_lanes, Qt::LeftButton, {}, QPoint(on_lanes->width() - 60, 20));
  REQUIRE(o.window.lanes().time() > 0.8 * end);
  CHECK(load->text() == QStringLiteral("Mat load 2 of 2"));
  QTest::mouseClick(on_lanes, Qt::LeftButton, {}, QPoint(300, 20));
  REQUIRE(o.window.lanes().time() < 0.2 * end);
  CHECK(load->text() == QStringLiteral("Mat load 1 of 2"));
}

TEST_CASE("a packed project: the draft shows the figure, where it is taken hold of, the other stages the mats") {
  QTemporaryDir folder;
  Project p = std::move(*load_project(DOTLANE_DEMO "/fair-stall.dotlane"));
  DrawingCache cache;
  const Drawing drawing = evaluate(p, cache);
  const Layout layout = lay_out(p, drawing);
  const int tag = layout.parts[layout.laid.back().part].key.piece;
  p = set_place(p, drawing, layout, layout.laid.back().part, {1, layout.laid.back().sheet, 90, {150, 120}, false});
  const QString path = folder.filePath(QStringLiteral("placed.dotlane"));
  REQUIRE(save_project(p, path.toStdString()));
  Opened o(path);
  const int load = find_sheet(p, layout.laid.back().sheet)->load;
  while (o.bench().load() != load) QTest::mouseClick(o.find<QToolButton>("loadButton"), Qt::LeftButton);
  const Box figure = bounds_of(o.session().drawing(), {{tag, ""}});
  const auto at = [&](Vec mm) { return o.bench().view().to_px(mm).toPoint(); };
  const Sheet& sheet = *find_sheet(p, layout.laid.back().sheet);
  const Vec there{sheet.area.x0 + 150, sheet.area.y0 + 120};
  o.stage(Stage::passes);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, at(there));
  CHECK(o.session().selectedPieces() == std::vector<int>{tag});
  drag(&o.bench(), at(there), at(there) + QPoint(40, 0));  // the job is only looked at there, and the figure stays
  CHECK(bounds_of(o.session().drawing(), {{tag, ""}}) == figure);
  o.stage(Stage::draft);
  QTest::keyClick(&o.bench(), Qt::Key_Escape);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, at(figure.centre()));
  CHECK(o.session().selectedPieces() == std::vector<int>{tag});
  run(o, "snap");  // just where the hand puts it
  drag(&o.bench(), at(figure.centre()), at(figure.centre()) + QPoint(40, 0));
  o.session().settle();
  CHECK(bounds_of(o.session().drawing(), {{tag, ""}}).x0 > figure.x0 + 5);
  // What moved in the figure lies where it lay.
  for (const auto& laid : o.session().derived().layout.laid) {
    if (laid.part == layout.laid.back().part)
      CHECK(distance(laid.map(o.session().derived().layout.parts[laid.part].centre), there) < 1e-6);
  }
  CHECK_FALSE(o.session().derived().layout.as_figure());
}

TEST_CASE("inches show everywhere and change no length") {
  Opened o;
  const Project before = o.project();
  o.pick({{o.piece("Lighthouse").id, ""}});
  o.click("unitInch");
  CHECK(o.find<NumberField>("widthField")->editor()->text() == "1.732");
  // Speeds and thicknesses too; what is typed is read in inches.
  o.stage(Stage::sheets);
  auto* speed = named(o, "Speed with the tool up");
  CHECK(speed->editor()->text() == QLocale().toString(before.machine.travel_mm_s / 25.4, 'f', 2));
  type(speed, "4");
  CHECK(o.project().machine.travel_mm_s == Approx(101.6));
  o.undo();
  CHECK(o.project().pieces == before.pieces);
  o.undo();
  CHECK(o.project() == before);
}

TEST_CASE("on a small screen lanes and panel fold, and come back when asked for") {
  Opened o;
  o.window.resize(1024, 640);
  QCoreApplication::processEvents();
  CHECK(o.window.size() == QSize(1024, 640));
  auto* lanes = o.find<QWidget>("lanes");
  CHECK(lanes->height() < 40);
  const int bench = o.bench().height();
  o.run("fold-lanes");
  QCoreApplication::processEvents();
  CHECK(lanes->height() > 150);
  CHECK(o.bench().height() < bench);
  auto* panels = o.find<QWidget>("recipePanel")->parentWidget();
  const int width = o.bench().width();
  o.run("fold-panel");
  QCoreApplication::processEvents();
  CHECK_FALSE(panels->isVisible());
  CHECK(o.bench().width() > width);
  o.run("second-look");
  CHECK(panels->isVisible());
  o.run("fold-panel");
  o.run("stage-sheets");
  CHECK(panels->isVisible());
  // Nothing in the top bar lies over its neighbour.
  CHECK_FALSE(o.find<QWidget>("actionFinder")->geometry().intersects(o.find<QWidget>("unitMm")->geometry()));
}

TEST_CASE("sheet, machine, setting and tool can be edited in their panels") {
  Opened o;
  o.stage(Stage::sheets);
  choose(o.find<QComboBox>("holdersBox"), 0);
  o.session().settle();
  CHECK(o.project().machine.holders == 1);
  CHECK(o.session().derived().plan.pauses.size() > 2);
  o.stage(Stage::passes);
  o.click("addPen");
  CHECK(find_tool(o.project(), "new-pen"));
  o.click("mirrorBox");
  CHECK(o.project().plan.mirrored);
}

TEST_CASE("a drawing of 200,000 segments is painted anew in every frame: zooming shows no stale picture") {
  QTemporaryDir folder;
  const QString path = folder.filePath(QStringLiteral("big.svg"));
  QFile file(path);
  REQUIRE(file.open(QIODevice::WriteOnly));
  file.write(
      "<svg xmlns=\"http://www.w3.org/2000/svg\" width=\"300mm\" height=\"300mm\" viewBox=\"0 0 300 300\" "
      "fill=\"none\" stroke=\"#000\">");
  for (int i = 0; i < 1000; ++i) {
    QByteArray d = "<path d=\"M" + QByteArray::number(10 + i * 0.28) + " 10";
    for (int k = 0; k < 200; ++k)
      d += " L" + QByteArray::number(10 + i * 0.28 + (k % 2)) + " " + QByteArray::number(10 + k * 1.4);
    file.write(d + "\"/>");
  }
  file.write("</svg>");
  file.close();
  Opened o(path);
  CHECK(o.session().drawing().segments() > 190'000);
  auto inked = [&] {
    const QImage image = o.bench().grab().toImage();
    int dark = 0;
    for (int x = 100; x < image.width() - 100; x += 3) dark += qGray(image.pixel(x, image.height() / 2)) < 110;
    return dark;
  };
  CHECK(inked() > 20);
  const View view = o.bench().view();
  for (int k = 0; k < 4; ++k) {
    const QImage before = o.bench().grab().toImage();
    QTest::keySequence(&o.bench(), o.window.actions().find(QStringLiteral("zoom-in"))->shortcut());
    CHECK(o.bench().view().px_per_mm > view.px_per_mm);
    // The very next picture is the one that stays.
    const QImage now = o.bench().grab().toImage();
    CHECK(now != before);
    o.bench().finishPainting();
    CHECK(o.bench().grab().toImage() == now);
  }
  CHECK(inked() > 5);
}

TEST_CASE("ruler steps leave room for their labels and are round numbers") {
  for (double px = 0.05; px < 500; px *= 1.3) {
    const double mm = ruler_step(px, 60, false);
    CHECK(mm * px >= 60);
    CHECK(mm * px < 60 * 3);
    CHECK(ruler_step(px * 25.4, 60, true) * px * 25.4 >= 60);
  }
}
