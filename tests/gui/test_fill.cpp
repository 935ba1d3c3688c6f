// Fills in the real window: the dial, the figures, the curve over the angles, the ways to go over it; a fill of a
// million strokes; the tag of the demo.
#include <QCheckBox>
#include <QComboBox>

#include "app/fill/fill_panel.hpp"
#include "app/notice.hpp"
#include "core/format/files.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"
#include "render/paint.hpp"

namespace dotlane::test {
namespace {

/// A new project with a drawn label, filled; its fill step is open.
struct Filled : Opened {
  int id = 0;
  explicit Filled(const Values& shape = {{"width", 40.0}, {"height", 24.0}}) : Opened(QString()) {
    session().newProject();
    Project p = *add_shape(session().project(), "rectangle", shape, &id);
    p = assign_role(std::move(p), {{id, "outline"}}, Role::draw);
    put(p);
    pick({{id, ""}});
    run("step-fill");
    session().settle();
  }
  FillPanel& panel() {
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    for (auto* p : window.findChildren<FillPanel*>()) {
      if (p->isVisible()) return *p;
    }
    FAIL("no fill panel");
    return *window.findChild<FillPanel*>();
  }
  /// Waits until the figures are those of the fill as it is.
  FillPanel& worked_out() {
    session().settle();
    FillPanel* p = &panel();
    wait_for([&] { return p->figures().has_value() && find<QLabel>("fillTime")->text() != QStringLiteral("–"); });
    wait_for([&] { return p->resting(); });  // the pause before figures are taken up again
    session().settle();
    return panel();
  }
  /// Picks the piece again and opens its fill.
  void open_step() {
    pick({{id, ""}});
    for (auto* p : window.findChildren<FillPanel*>()) {
      if (p->isVisible()) return;
    }
    click("step-1");
  }
  NumberField* field(const char* key) {
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    for (auto* f : window.findChildren<NumberField*>(QStringLiteral("value-") + QString::fromLatin1(key))) {
      if (f->isVisible()) return f;
    }
    FAIL("no field " << key);
    return nullptr;
  }
  const Values& values() { return find_piece(session().project(), id)->steps.front().values; }
  double number(const char* key) { return Reading(*find_kind(step_kinds(), "fill"), values()).number(key); }
  const Line& strokes() {
    for (const auto& line : find_drawn(session().drawing(), id)->piece->lines) {
      if (line.coat == 1) return line;
    }
    FAIL("no strokes");
    return find_drawn(session().drawing(), id)->piece->lines.front();
  }
};

}  // namespace

TEST_CASE("a fill step shows its strokes at once, and its figures a moment later") {
  Filled o;
  CHECK(o.strokes().role == Role::draw);
  CHECK(o.strokes().path->contours.size() > 40);
  FillPanel& panel = o.worked_out();
  const FillFigures& f = *panel.figures();
  CHECK(o.find<QLabel>("fillCovered")->text().endsWith(QStringLiteral(" %")));
  CHECK(o.find<QLabel>("fillLifts")->text() == QString::number(f.cost.lifts));
  CHECK(f.coverage.share > 0.6);
  CHECK(painted(&panel) > 0.05);
  // The minutes shown are the plan's.
  const Plan& plan = o.session().derived().plan;
  REQUIRE_FALSE(plan.passes.empty());
  CHECK(f.cost.seconds == Approx(plan.passes[0].seconds).epsilon(0.15));
  // Another pattern: fewer lifts, and fields that mean nothing for it go.
  auto* pattern = o.find<QComboBox>("value-pattern");
  choose(pattern, pattern->findData(QStringLiteral("zigzag")));
  const auto before = f.cost.lifts;
  wait_for([&] { return o.panel().figures() && o.panel().figures()->cost.lifts < before / 4; });
  CHECK(o.find<QWidget>("value-join")->isVisible());
  choose(pattern, pattern->findData(QStringLiteral("stipple")));
  o.session().settle();
  CHECK_FALSE(o.find<QWidget>("value-join")->isVisible());
  CHECK_FALSE(o.find<QWidget>("value-angle")->isVisible());
  CHECK(o.find<QWidget>("value-seed")->isVisible());
}

TEST_CASE("the dial turns and spreads the strokes, by mouse and by keys, as one step to undo each") {
  Filled o;
  auto* dial = o.find<FillDial>("fillDial");
  const QPoint middle = dial->rect().center();
  // From the knob at 20 degrees a quarter turn up, in three moves.
  QTest::mousePress(dial, Qt::LeftButton, Qt::NoModifier, middle + QPoint(47, -17));
  QTest::mouseMove(dial, middle + QPoint(40, -40));
  QTest::mouseMove(dial, middle + QPoint(0, -50));
  QTest::mouseRelease(dial, Qt::LeftButton, Qt::NoModifier, middle + QPoint(0, -50));
  o.session().settle();
  CHECK(o.number("angle") == Approx(90).margin(1.5));
  o.undo();
  CHECK(o.number("angle") == 20);
  o.redo();
  // Sixty pixels up in the middle: twice as far apart.
  QTest::mousePress(dial, Qt::LeftButton, Qt::NoModifier, middle);
  QTest::mouseMove(dial, middle - QPoint(0, 30));
  QTest::mouseMove(dial, middle - QPoint(0, 60));
  QTest::mouseRelease(dial, Qt::LeftButton, Qt::NoModifier, middle - QPoint(0, 60));
  o.session().settle();
  CHECK(o.number("spacing") == Approx(1.0));
  dial->setFocus();
  QTest::keyClick(dial, Qt::Key_Up);
  QTest::keyClick(dial, Qt::Key_Left, Qt::ShiftModifier);
  o.session().settle();
  CHECK(o.number("spacing") == Approx(1.01));
  CHECK(o.number("angle") == Approx(105).margin(1.5));
  QWheelEvent wheel(QPointF(middle), QPointF(dial->mapToGlobal(middle)), QPoint(), QPoint(0, -120), Qt::NoButton,
                    Qt::NoModifier, Qt::NoScrollPhase, false);
  QCoreApplication::sendEvent(dial, &wheel);
  o.session().settle();
  CHECK(o.number("spacing") < 1.01);
  // A wheel that only scrolls the panel over it changes nothing.
  const double spacing = o.number("spacing");
  o.bench().setFocus();
  QCoreApplication::sendEvent(dial, &wheel);
  CHECK(o.number("spacing") == spacing);
  CHECK(painted(dial) > 0.02);
}

TEST_CASE("the curve over the angles is clicked, the best angle and the widest spacing are taken") {
  Filled o({{"width", 40.0}, {"height", 6.0}});
  FillPanel& panel = o.worked_out();
  wait_for([&] { return panel.curve().advice().curve.size() == 36; });
  auto* curve = o.find<AngleCurve>("angleCurve");
  CHECK(painted(curve) > 0.02);
  QTest::mouseMove(curve, QPoint(curve->width() / 4, 60));
  QTest::mouseClick(curve, Qt::LeftButton, Qt::NoModifier, QPoint(curve->width() / 2, 60));
  o.session().settle();
  CHECK(o.number("angle") == Approx(90).margin(5));
  auto* goal = o.find<QComboBox>("fillGoal");
  choose(goal, 1);
  wait_for([&] { return o.panel().resting(); });
  wait_for([&] { return o.panel().curve().advice().curve.size() == 36; });
  o.session().settle();
  o.click("fillBest");
  // Along a bar the hatch lifts least.
  const auto& advice = o.panel().curve().advice();
  CHECK(o.number("angle") == advice.curve[advice.best].options.angle);
  for (const auto& t : advice.curve) {
    if (t.unfilled == 0 && t.share >= 0.95) CHECK(t.cost.lifts >= advice.curve[advice.best].cost.lifts);
  }
  auto* wanted = o.find<NumberField>("fillWanted");
  wanted->editor()->setFocus();
  wanted->editor()->selectAll();
  QTest::keyClicks(wanted->editor(), QStringLiteral("60"));
  QTest::keyClick(wanted->editor(), Qt::Key_Return);
  o.click("fillWidest");
  o.session().settle();
  CHECK(o.number("spacing") > 0.5);
  wait_for([&] {
    o.session().settle();
    return o.panel().figures() && o.panel().figures()->coverage.share < 0.7;
  });
  CHECK(o.panel().figures()->coverage.share == Approx(0.6).margin(0.05));
}

TEST_CASE("an angle that counts on the mat is proposed and clicked as one, and a finer pen changes the figures") {
  Filled o({{"width", 30.0}, {"height", 10.0}});
  Project p = *set_step_value(o.session().project(), o.id, 1, "angle-from", std::string("mat"));
  p = turn_pieces(std::move(p), o.session().drawing(), {o.id}, 30);
  o.put(p);
  o.open_step();
  FillPanel& panel = o.worked_out();
  wait_for([&] { return panel.curve().advice().curve.size() == 36; });
  o.click("fillBest");
  const auto& advice = panel.curve().advice();
  CHECK(o.number("angle") == Approx(advice.curve[advice.best].options.angle + 30));
  // Another tip: the same strokes cover less.
  o.worked_out();
  const double before = o.panel().figures()->coverage.share;
  Project finer = o.session().project();
  for (auto& tool : finer.tools) {
    if (tool.id == o.strokes().tool) tool.tip_width_mm = 0.1;
  }
  o.put(finer);
  o.open_step();
  wait_for([&] {
    o.session().settle();
    return o.panel().figures() && o.panel().figures()->coverage.share < before * 0.6;
  });
}

TEST_CASE("ways to go over it are compared, and one is taken") {
  Filled o({{"width", 14.0}, {"height", 9.0}});
  o.worked_out();
  o.click("fillCompare");
  o.session().settle();
  auto* ways = o.find("fillWays");
  CHECK(ways->isVisible());
  CHECK(ways->findChildren<QPushButton*>().size() >= 5);
  CHECK(o.find("landingPicture")->isVisible());
  CHECK(painted(o.find("landingPicture")) > 0.02);
  using Kind = WayChoice::Kind;
  o.click(("useWay-" + std::to_string(static_cast<int>(Kind::shifted_coat))).c_str());
  CHECK(std::get<std::string>(o.values().at("second")) == "shifted");
  CHECK(o.session().undoLabel().startsWith(QStringLiteral("Fill: ")));
  CHECK_FALSE(o.panel().findChild<QWidget*>(QStringLiteral("fillWays"))->isVisible());
  // What was compared is gone once the fill is another one.
  o.worked_out();
  o.click("fillCompare");
  o.session().settle();
  CHECK(o.panel().findChild<QWidget*>(QStringLiteral("fillWays"))->isVisible());
  type(o.field("spacing"), "0.7");
  o.session().settle();
  CHECK_FALSE(o.panel().findChild<QWidget*>(QStringLiteral("fillWays"))->isVisible());
  // Once more, stroke by stroke: repeats are said of the strokes alone.
  o.worked_out();
  o.click("fillCompare");
  o.session().settle();
  o.click(("useWay-" + std::to_string(static_cast<int>(Kind::again_by_stroke))).c_str());
  CHECK(o.strokes().repeats == 2);
  CHECK(o.strokes().stroke_by_stroke);
  CHECK(o.strokes().role == Role::draw);
  o.session().settle();
  const auto& passes = o.session().derived().plan.passes;
  CHECK(std::any_of(passes.begin(), passes.end(), [](const Pass& p) { return p.stroke_by_stroke && p.repeats == 2; }));
  // The checkbox beside the repeats says the same, and takes it back.
  auto* box = o.find<QCheckBox>("strokeByStroke");
  CHECK(box->isChecked());
  click(box);
  o.session().settle();
  CHECK_FALSE(o.strokes().stroke_by_stroke);
}

TEST_CASE("a fill of a million strokes is worked out and painted aside, the window goes on meanwhile") {
  Filled o({{"width", 280.0}, {"height", 280.0}});
  choose(o.find<QComboBox>("value-pattern"), QStringLiteral("dots"));
  o.session().settle();
  type(o.field("spacing"), "0.28");
  // What shows at once is coarser, and says so.
  CHECK(o.session().stale());
  CHECK(o.strokes().path->contours.size() < 10'000);
  o.session().settle();
  CHECK_FALSE(o.session().stale());
  CHECK(o.strokes().path->contours.size() > 950'000);
  o.bench().finishPainting();
  // Panning shows what is painted already.
  QTest::mousePress(&o.bench(), Qt::MiddleButton, Qt::NoModifier, o.bench().rect().center());
  QTest::mouseMove(&o.bench(), o.bench().rect().center() + QPoint(30, 20));
  QTest::mouseRelease(&o.bench(), Qt::MiddleButton, Qt::NoModifier, o.bench().rect().center() + QPoint(30, 20));
  CHECK(painted(&o.window) > 0.05);
  for (int i = 0; i < 4 && o.strokes().path->contours.size() >= 5000; ++i) o.undo();
  CHECK(o.strokes().path->contours.size() < 5000);
}

TEST_CASE("strokes show as wide as the tip in the colour of their mark: dots as touches, sparse fills sparse") {
  Filled o;
  auto share_of_ink = [&](const char* pattern, double spacing) {
    Project p = *set_step_value(o.session().project(), o.id, 1, "pattern", std::string(pattern));
    p = *set_step_value(std::move(p), o.id, 1, "spacing", spacing);
    const Tool ink = *find_tool(p, o.strokes().tool);
    DrawingCache cache;
    const Drawing drawing = evaluate(p, cache);
    const View view = View::fitting(find_drawn(drawing, o.id)->bounds, QRectF(0, 0, 800, 480), 0);
    QImage image(800, 480, QImage::Format_RGB32);
    image.fill(Qt::white);
    QPainter painter(&image);
    paint_lines(painter, view, p, drawing, light_theme(), {});
    painter.end();
    double dark = 0;
    for (int y = 0; y < image.height(); ++y) {
      for (int x = 0; x < image.width(); ++x) dark += 255 - qGray(image.pixel(x, y));
    }
    return dark / (255 - qGray(to_qcolor(ink.ink).rgb())) / (800.0 * 480);
  };
  // A pen of 0.4 mm: what is painted is what is counted.
  for (const auto& [pattern, spacing] : {std::pair{"hatch", 2.0}, {"dots", 1.2}, {"zigzag", 0.8}}) {
    INFO(pattern);
    const double painted = share_of_ink(pattern, spacing);
    Project p = *set_step_value(o.session().project(), o.id, 1, "pattern", std::string(pattern));
    p = *set_step_value(std::move(p), o.id, 1, "spacing", spacing);
    DrawingCache cache;
    const Drawing drawing = evaluate(p, cache);
    const auto subject = fill_subject(p, *find_drawn(drawing, o.id), 1);
    REQUIRE(subject);
    // The outline is inked too; its band lies along the edge, half of it inside.
    const double outline = 0.5 * 0.4 * 128 / 960;
    CHECK(painted == Approx(subject->made->coverage(subject->run.tip_mm).share + outline).margin(0.02));
  }
}

TEST_CASE("the rehearsal shows the same marks whichever way the play head came") {
  Opened o(demo(QStringLiteral("moorings-tag")));
  const double whole = o.session().derived().plan.seconds;
  auto shown_at = [&](double t) {
    o.bench().setScrub(t);
    o.bench().finishPainting();
    QImage last, now = o.bench().grab().toImage();
    do {
      last = now;
      for (int i = 0; i < 20; ++i) QCoreApplication::processEvents(QEventLoop::AllEvents, 5);
      now = o.bench().grab().toImage();
    } while (now != last);
    return now;
  };
  const QImage early = shown_at(whole * 0.2), late = shown_at(whole * 0.5);
  CHECK_FALSE(early == late);
  CHECK(shown_at(whole * 0.2) == early);
  CHECK(shown_at(whole * 0.5) == late);
  o.bench().setScrub(-1);
  QCoreApplication::processEvents();
}

TEST_CASE("inches, the dark look and undo hold for fills too") {
  Filled o;
  o.worked_out();
  CHECK(o.find<QLabel>("fillGap")->text().endsWith(QStringLiteral("mm")));
  run(o, "unit");
  o.worked_out();
  CHECK(o.find<QLabel>("fillGap")->text().endsWith(QStringLiteral("in")));
  CHECK(o.number("spacing") == 0.5);
  run(o, "dark");
  CHECK(painted(&o.panel()) > 0.05);
  run(o, "dark");
  // Switched off, the strokes are gone and the panel says nothing; undone, both are back.
  o.click("switch-step-1");
  CHECK(find_drawn(o.session().drawing(), o.id)->piece->lines.size() == 1);
  CHECK_FALSE(o.panel().figures().has_value());
  CHECK_FALSE(o.find<QPushButton>("fillBest")->isEnabled());
  o.undo();
  o.session().settle();
  CHECK(find_drawn(o.session().drawing(), o.id)->piece->lines.size() == 2);
  o.undo();
  o.undo();
  CHECK(find_piece(o.project(), o.id)->steps.empty());
}

TEST_CASE("the tag of the demo: dense engraving four times over, a clear one mirrored once, foil hatched both ways") {
  Opened o(demo(QStringLiteral("moorings-tag")));
  const Derived& d = o.session().derived();
  for (const auto& f : d.findings) {
    INFO(sentence(f));
    CHECK(f.severity == Severity::info);
  }
  REQUIRE_FALSE(d.plan.passes.empty());
  CHECK(d.plan.passes[0].role == Role::engrave);
  CHECK(d.plan.passes[0].repeats == 4);
  const Piece& clear = o.piece("Berth seen through");
  CHECK(find_stock(o.project(), clear.stock)->clear);
  const auto said = [&](const char* code) {
    o.session().settle();
    const auto& all = o.session().derived().findings;
    return std::any_of(all.begin(), all.end(), [&](const Finding& f) { return f.code == code; });
  };
  CHECK_FALSE(said("clear-not-mirrored"));
  // Without its mirror step it is told; mirrored by the job as well, it would be twice.
  const Project before = o.project();
  o.put(switch_step(before, clear.id, 2, false));
  CHECK(said("clear-not-mirrored"));
  o.put(before);
  run(o, "mirror");
  CHECK(said("mirrored-twice"));
  o.undo();
  o.session().settle();
  // The reflection reads the other way round: what was left is right.
  const Box plain = o.bounds("Berth number"), mirrored = o.bounds("Berth seen through");
  CHECK(plain.width() == Approx(mirrored.width()).margin(0.01));
}

}  // namespace dotlane::test
