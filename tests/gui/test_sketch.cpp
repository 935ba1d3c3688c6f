// Drawn on the bench: bands and loops that choose, lines, folds, what is erased and cut in two; the tape.
#include <QSettings>
#include <algorithm>

#include "app/bench/sketch.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A card of 120 x 80 mm at 60, 50 with three specks in it, and a star beside it.
Project card() {
  Project p = new_project("card");
  Artwork art;
  const auto closed = [](const std::string& id, Box b) {
    ArtLine line;
    line.id = id, line.stroke = Color{40, 40, 40};
    line.path.contours.push_back({{b.x0, b.y0},
                                  {Segment::line({b.x1, b.y0}), Segment::line({b.x1, b.y1}),
                                   Segment::line({b.x0, b.y1}), Segment::line({b.x0, b.y0})},
                                  true});
    return line;
  };
  art.lines.push_back(closed("card", Box::of(60, 50, 120, 80)));
  for (int i = 0; i < 3; ++i) art.lines.push_back(closed("speck" + std::to_string(i), Box::of(80 + 20 * i, 70, 2, 2)));
  p = add_artwork(std::move(p), art, "card.svg");
  p = *add_shape(std::move(p), "star", {{"across", 40.0}}, nullptr);
  DrawingCache cache;
  const Box star = tight_bounds(*find_drawn(evaluate(p, cache), 2));
  return move_pieces(std::move(p), {2}, {220 - star.x0, 200 - star.y0});
}

struct Hand : Opened {
  Hand() : Opened((QSettings().clear(), card())) {}
  void stroke(const std::vector<Vec>& places) {
    const auto px = [this](Vec v) { return at(v.x, v.y); };
    QTest::mousePress(&bench(), Qt::LeftButton, {}, px(places.front()));
    for (std::size_t i = 1; i < places.size(); ++i) {
      for (int k = 1; k <= 4; ++k) {
        const QPoint to = px(lerp(places[i - 1], places[i], k / 4.0));
        QMouseEvent move(QEvent::MouseMove, to, bench().mapToGlobal(to), Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
        QApplication::sendEvent(&bench(), &move);
      }
    }
    QTest::mouseRelease(&bench(), Qt::LeftButton, {}, px(places.back()));
    session().settle();
  }
  void click_on(Vec v) { QTest::mouseClick(&bench(), Qt::LeftButton, {}, at(v.x, v.y)); }
  double reach() { return 4 / bench().view().px_per_mm; }
};

}  // namespace

TEST_CASE("a band takes what it encloses, after T what it touches") {
  Hand o;
  drag(&o.bench(), o.at(70, 60), o.at(130, 80), Qt::ShiftModifier);  // over a piece
  CHECK(o.session().selection().size() == 3);
  for (const auto& ref : o.session().selection()) CHECK(ref.line.starts_with("speck"));
  // The key is pressed while the band is open.
  QTest::mousePress(&o.bench(), Qt::LeftButton, {}, o.at(200, 190));
  for (int i = 1; i <= 5; ++i) {
    const QPoint to = o.at(200 + 9 * i, 190 + 6 * i);
    QMouseEvent move(QEvent::MouseMove, to, o.bench().mapToGlobal(to), Qt::NoButton, Qt::LeftButton, Qt::NoModifier);
    QApplication::sendEvent(&o.bench(), &move);
  }
  QTest::keyClick(&o.bench(), Qt::Key_T);
  QTest::mouseRelease(&o.bench(), Qt::LeftButton, {}, o.at(245, 220));
  CHECK(o.session().selection() == std::vector<LineRef>{{2, ""}});
}

TEST_CASE("a loop by hand chooses specks, and erases them by a step that undo and the recipe take back") {
  Hand o;
  run(o, "loop");
  const std::vector<Vec> around{{75, 65}, {107, 65}, {107, 77}, {75, 77}};
  o.stroke(around);
  CHECK(o.session().selection().size() == 2);
  o.press(Qt::Key_Escape);
  CHECK_FALSE(o.bench().sketching().active());
  o.press(Qt::Key_Escape);
  run(o, "erase-loop");
  o.stroke(around);
  o.press(Qt::Key_Escape);
  REQUIRE(find_piece(o.project(), 1)->steps.size() == 1);
  CHECK(find_piece(o.project(), 1)->steps[0].kind == "erase");
  CHECK(find_piece(o.project(), 2)->steps.empty());
  CHECK(find_drawn(o.session().drawing(), 1)->piece->lines.size() == 2);
  o.undo();
  CHECK(find_drawn(o.session().drawing(), 1)->piece->lines.size() == 4);
}

TEST_CASE("a line drawn across cuts a piece in two parts") {
  Hand o;
  run(o, "split-line");
  o.stroke({{115, 40}, {125, 140}});
  o.press(Qt::Key_Escape);
  o.session().settle();
  REQUIRE(find_piece(o.project(), 1)->steps.size() == 1);
  CHECK(find_piece(o.project(), 1)->steps[0].kind == "split");
  std::size_t parts = 0;
  for (const auto& part : o.session().derived().layout.parts) parts += part.key.piece == 1;
  CHECK(parts == 2);
  o.undo();
  CHECK(find_piece(o.project(), 1)->steps.empty());
}

TEST_CASE("straight lines, lines with corners, free hand and folds become pieces with their role and exact numbers") {
  Hand o;
  run(o, "draw-straight");
  o.click_on({20, 180});
  o.click_on({75.5, 180.5});
  REQUIRE(o.project().pieces.size() == 3);
  const Piece& line = *o.project().pieces.front();
  CHECK(line.lines.front().role == Role::draw);
  CHECK(o.session().selectedPieces() == std::vector<int>{line.id});
  CHECK(o.bounds(line.id).width() == Approx(55.5).margin(2 * o.reach()));
  type(o.find<NumberField>("widthField"), "60");
  o.session().settle();
  CHECK(o.bounds(line.id).width() == Approx(60).margin(0.001));
  run(o, "draw-straight");
  CHECK_FALSE(o.bench().sketching().active());
  // Corners; the first one closes it.
  run(o, "draw-polyline");
  o.click_on({30, 230});
  o.click_on({70, 230});
  o.click_on({70, 262});
  QTest::keyClick(&o.bench(), Qt::Key_Backspace);
  o.click_on({66, 259});
  o.click_on({30.5, 230.5});
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 4);
  CHECK(o.project().pieces.front()->lines.front().path->contours.front().closed);
  CHECK(o.project().pieces.front()->lines.front().path->contours.front().segments.size() == 3);
  o.press(Qt::Key_Escape);
  run(o, "draw-freehand");
  o.stroke({{200, 40}, {210, 52}, {222, 57}, {235, 55}, {246, 47}});
  REQUIRE(o.project().pieces.size() == 5);
  CHECK_FALSE(o.project().pieces.front()->lines.front().path->contours.front().closed);
  CHECK(o.project().pieces.front()->lines.front().path->contours.front().segments.size() < 14);
  o.press(Qt::Key_Escape);
  // A fold goes from edge to edge of the card, brought onto its middle.
  run(o, "draw-fold");
  o.stroke({{120.6, 85}, {119.5, 110}});
  REQUIRE(o.project().pieces.size() == 6);
  const Piece& fold = *o.project().pieces.front();
  CHECK(fold.lines.front().role == Role::score);
  CHECK(o.bounds(fold.id).height() == Approx(80).margin(0.01));
  CHECK(o.bounds(fold.id).centre().x == Approx(120).margin(0.001));
  o.press(Qt::Key_Escape);
  for (int i = 0; i < 4; ++i) o.undo();
  o.undo();  // the width that was typed
  CHECK(o.project().pieces.size() == 2);
}

TEST_CASE("the tape is held by M: distances under the pointer, then from one corner to another") {
  Hand o;
  o.pick({{2, ""}});
  QTest::mouseMove(&o.bench(), o.at(70, 60));
  QTest::keyPress(&o.bench(), Qt::Key_M);
  REQUIRE(o.bench().sketching().what() == Sketch::What::tape);
  const QImage measured = o.bench().grab().toImage();
  o.click_on({60.7, 50.6});
  QTest::mouseMove(&o.bench(), o.at(100, 100));
  o.click_on({179.4, 129.5});
  const auto tape = o.bench().sketching().tape();
  REQUIRE(tape);
  CHECK(tape->first.x == Approx(60).margin(1e-6));
  CHECK(tape->first.y == Approx(50).margin(1e-6));
  CHECK(distance(tape->first, tape->second) == Approx(std::hypot(120, 80)).margin(1e-6));
  // Keys that a system repeats come as releases and presses; only the last release ends it.
  QTest::keyRelease(&o.bench(), Qt::Key_M);
  QTest::keyPress(&o.bench(), Qt::Key_M);
  QTest::qWait(60);
  CHECK(o.bench().sketching().tape());
  QTest::keyRelease(&o.bench(), Qt::Key_M);
  wait_for([&] { return !o.bench().sketching().active(); });
  CHECK(o.bench().grab().toImage() != measured);
  // The figures of a single line are told in the recipe.
  o.pick({{1, "card"}});
  const auto* label = o.find<QLabel>("lineFigures");
  wait_for([&] { return label->text().contains(QStringLiteral("thinnest 80.0")); });
  CHECK(label->text().contains(QStringLiteral("400.0")));
  CHECK(label->text().contains(QStringLiteral("9,600")));
  // In inches, as fractions if that is liked.
  run(o, "unit");
  run(o, "inch-parts");
  wait_for([&] { return label->text().contains(QStringLiteral("15 3/4")); });
  CHECK(o.find<NumberField>("xField")->isVisible() == false);
  o.pick({{1, ""}});
  CHECK(o.find<NumberField>("widthField")->editor()->text() == QStringLiteral("4 3/4"));
  type(o.find<NumberField>("widthField"), "5 1/2");
  o.session().settle();
  CHECK(o.bounds(1).width() == Approx(139.7).margin(0.001));
  run(o, "inch-parts"), run(o, "inch-parts");
}

TEST_CASE("all of one shape are chosen by keys") {
  Hand o;
  o.pick({{1, "speck0"}});
  run(o, "same-shape");
  CHECK(o.session().selection().size() == 3);
}
