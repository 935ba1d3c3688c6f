// Placing by hand: what is dragged meets what lies around it; guides, turning, slanting, mirroring by handles.
#include <QLabel>
#include <QSettings>
#include <array>
#include <random>

#include "app/bench/handles.hpp"
#include "app/bench/rulers.hpp"
#include "core/format/project_json.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A project with a shape of its own for each box: every third one an ellipse.
Project laid(const std::vector<Box>& boxes) {
  Project p = new_project("hands");
  for (std::size_t i = 0; i < boxes.size(); ++i) {
    int id = 0;
    p = *add_shape(std::move(p), i % 3 == 2 ? "ellipse" : "rectangle",
                   {{"width", boxes[i].width()}, {"height", boxes[i].height()}}, &id);
    DrawingCache cache;
    const Box now = tight_bounds(*find_drawn(evaluate(p, cache), id));
    p = move_pieces(std::move(p), {id}, {boxes[i].x0 - now.x0, boxes[i].y0 - now.y0});
  }
  return p;
}

Project turned(Project p, int id, double degrees) {
  DrawingCache cache;
  const Drawing drawing = evaluate(p, cache);
  return turn_pieces(std::move(p), drawing, {id}, degrees);
}

/// The frame of a piece as the file has it that the window's save key has written.
Box saved(Opened& o, int id) {
  run(o, "save");
  REQUIRE_FALSE(o.session().modified());
  const auto bytes = read_file(o.session().path().toStdString());
  REQUIRE(bytes);
  const auto project = project_from_json(*bytes, "saved");
  REQUIRE(project);
  DrawingCache cache;
  return tight_bounds(*find_drawn(evaluate(*project, cache), id));
}

constexpr double kMicron = 0.001;

/// Whether a place of the frame meets something on an axis, looked for without any index: shares of other frames and
/// of the sheet, what tools reach, equal gaps.
bool meets(const Project& p, const Box& frame, int id, bool x) {
  const auto ends = [x](const Box& b) { return x ? std::pair(b.x0, b.x1) : std::pair(b.y0, b.y1); };
  const auto at = [&](const Box& b, double share) {
    const auto [a, z] = ends(b);
    return a + (z - a) * share;
  };
  std::vector<std::pair<double, bool>> places;  // with whether only a middle meets it
  std::vector<Box> row;
  DrawingCache cache;
  for (const auto& drawn : evaluate(p, cache).pieces) {
    if (drawn->piece->id == id) continue;
    const Box b = tight_bounds(*drawn);
    for (const double share : {0.0, 0.5, 1.0}) places.push_back({at(b, share), false});
    for (const double share : {0.25, 0.75}) places.push_back({at(b, share), true});
    const bool beside = x ? b.y0 <= frame.y1 && b.y1 >= frame.y0 : b.x0 <= frame.x1 && b.x1 >= frame.x0;
    if (beside) row.push_back(b);
  }
  const Ground ground = ground_of(p, 1);
  for (const Box& b : ground.sheets)
    for (const double share : {0.0, 0.5, 1.0}) places.push_back({at(b, share), false});
  for (const Box& b : ground.borders)
    for (const double share : {0.0, 1.0}) places.push_back({at(b, share), false});
  for (const double own : {0.0, 0.5, 1.0}) {
    for (const auto& [place, middle] : places)
      if ((own == 0.5 || !middle) && std::abs(at(frame, own) - place) < kMicron) return true;
  }
  const auto [a, z] = ends(frame);
  for (const Box& one : row) {
    for (const Box& two : row) {
      const auto [a1, z1] = ends(one);
      const auto [a2, z2] = ends(two);
      if (std::abs((a - z1) - (a2 - z)) < kMicron) return true;   // between them
      if (std::abs((a - z1) - (a1 - z2)) < kMicron) return true;  // after two of a row
      if (std::abs((a1 - z) - (a2 - z1)) < kMicron) return true;  // before two
    }
  }
  return false;
}

}  // namespace

TEST_CASE("200 layouts at random: what is dragged near something meets it to the micrometre in the saved file") {
  QSettings().clear();
  std::mt19937 random(20261126);
  const auto between = [&](double a, double b) { return std::uniform_real_distribution<double>(a, b)(random); };
  Opened o(new_project("empty"));
  int points = 0;
  for (int round = 0; round < 200; ++round) {
    std::vector<Box> boxes;
    const int n = 2 + round % 5;
    for (int i = 0; i < n; ++i) {
      const double w = between(26, 70), h = between(26, 70);
      const double left = between(15, 220), top = between(15, 220);
      boxes.push_back(Box::of(left, top, w, h));
    }
    o.put(laid(boxes), QStringLiteral("layout-%1.dotlane").arg(round));
    const int id = 1, other = 2 + round % (n - 1);
    o.pick({{id, ""}});
    const Box from = o.bounds(id), target = o.bounds(other);
    // A share of its frame to one of the other's, off by less than reach.
    const std::array<double, 3> shares{0, 0.5, 1};
    const double own_x = shares[static_cast<std::size_t>(round % 3)],
                 own_y = shares[static_cast<std::size_t>(round / 3 % 3)];
    const double to_x = shares[static_cast<std::size_t>(round / 9 % 3)],
                 to_y = shares[static_cast<std::size_t>(round / 27 % 3)];
    const double px = o.bench().view().px_per_mm, off_x = between(-4, 4) / px, off_y = between(-4, 4) / px;
    const Vec by{target.x0 + to_x * target.width() - from.x0 - own_x * from.width() + off_x,
                 target.y0 + to_y * target.height() - from.y0 - own_y * from.height() + off_y};
    // Taken on its outline between nodes, else other pieces over it might be taken.
    const Vec hold{from.x0 + from.width() * 0.25, from.y0};
    const QPoint press = o.at(hold.x, hold.y);
    drag(&o.bench(), press,
         press + QPoint(static_cast<int>(std::lround(by.x * px)), static_cast<int>(std::lround(by.y * px))),
         Qt::NoModifier, Qt::LeftButton, 3);
    o.session().settle();
    INFO("layout " << round << ", own " << own_x << " " << own_y << " to " << to_x << " " << to_y);
    const Box now = saved(o, id);
    REQUIRE(now.x0 != from.x0);
    CHECK(now.width() == Approx(from.width()).margin(1e-9));
    // Where its middle has met a corner, that is on both ways at once.
    bool corner = false;
    DrawingCache cache;
    for (const auto& drawn : evaluate(o.project(), cache).pieces) {
      if (drawn->piece->id == id) continue;
      if (const auto node = node_at({{drawn}}, {drawn->piece->id}, now.centre(), kMicron)) corner = true;
    }
    points += corner;
    const bool met_x = meets(o.project(), now, id, true), met_y = meets(o.project(), now, id, false);
    CHECK((corner || met_x));
    CHECK((corner || met_y));
  }
  CHECK(points < 200);
}

TEST_CASE("with Ctrl, or switched off, a piece goes where the hand puts it, with Shift straight") {
  QSettings().clear();
  Opened o(laid({Box::of(40, 40, 40, 30), Box::of(117, 110, 50, 50)}));
  o.pick({{1, ""}});
  const Box from = o.bounds(1);
  const double px = o.bench().view().px_per_mm;
  const QPoint press = o.at(from.x0 + 12, from.y0);
  const QPoint by(static_cast<int>((117 - from.x0) * px) + 3, static_cast<int>((110 - from.y0) * px) + 2);
  drag(&o.bench(), press, press + by);
  CHECK(o.bounds(1).x0 == Approx(117).margin(kMicron));
  CHECK(o.bounds(1).y0 == Approx(110).margin(kMicron));
  o.undo();
  // Pressed only once the drag has begun: with it held before, a band is drawn.
  const auto drag_then = [&](Qt::KeyboardModifiers keys, QPoint way) {
    QTest::mousePress(&o.bench(), Qt::LeftButton, {}, press);
    for (int i = 1; i <= 4; ++i) {
      const QPoint at = press + way * i / 4;
      QMouseEvent move(QEvent::MouseMove, at, o.bench().mapToGlobal(at), Qt::NoButton, Qt::LeftButton, keys);
      QApplication::sendEvent(&o.bench(), &move);
    }
    QTest::mouseRelease(&o.bench(), Qt::LeftButton, keys, press + way);
    o.session().settle();
  };
  drag_then(Qt::ControlModifier, by);
  CHECK(o.bounds(1).x0 == Approx(from.x0 + by.x() / px).margin(1e-9));
  o.undo();
  drag_then(Qt::ShiftModifier, QPoint(by.x(), 11));
  CHECK(o.bounds(1).x0 == Approx(117).margin(kMicron));
  CHECK(o.bounds(1).y0 == Approx(from.y0).margin(1e-9));
  o.undo();
  run(o, "snap");
  drag(&o.bench(), press, press + by);
  CHECK(o.bounds(1).x0 == Approx(from.x0 + by.x() / px).margin(1e-9));
  run(o, "snap");
}

TEST_CASE("an edge that is sized meets what it comes near, to the micrometre") {
  QSettings().clear();
  Opened o(laid({Box::of(40, 40, 40, 30), Box::of(117, 110, 50, 50)}));
  o.pick({{1, ""}});
  o.click("aspectLock");  // free proportions
  const double px = o.bench().view().px_per_mm;
  const Box from = o.bounds(1);
  const QPoint corner = o.at(from.x1, from.y1);
  drag(&o.bench(), corner, o.at(117, 110) + QPoint(4, -3));
  o.session().settle();
  Box now = saved(o, 1);
  CHECK(now.x0 == Approx(from.x0).margin(kMicron));
  CHECK(now.x1 == Approx(117).margin(kMicron));
  CHECK(now.y1 == Approx(110).margin(kMicron));
  // In proportion one side decides, and that meets.
  o.undo();
  o.click("aspectLock");
  drag(&o.bench(), o.at(from.x1, from.y1), o.at(117, from.y1) + QPoint(3, 5));
  o.session().settle();
  now = saved(o, 1);
  CHECK(now.x1 == Approx(117).margin(kMicron));
  CHECK(now.height() / now.width() == Approx(from.height() / from.width()));
  CHECK(px > 0);
}

TEST_CASE("turned by its knob a piece meets 15 degrees and its neighbour's angle, about a middle that was moved") {
  QSettings().clear();
  Project p = laid({Box::of(40, 60, 60, 40), Box::of(170, 120, 50, 50)});
  p = turned(std::move(p), 2, 37);
  Opened o(p);
  o.pick({{1, ""}});
  const auto angle = [&] { return turn_of(find_piece(o.project(), 1)->placement); };
  const auto turn_to = [&](double degrees, Vec about) {
    const QPointF knob = turn_knob(o.bench().view().to_px(o.bounds(1)));
    const Vec arm = o.bench().view().to_mm(knob) - about;
    const Vec end = Affine::rotate(-degrees)(arm) + about;
    drag(&o.bench(), knob.toPoint(), o.at(end.x, end.y));
    o.session().settle();
  };
  const Vec centre = o.bounds(1).centre();
  turn_to(43.9, centre);
  CHECK(angle() == Approx(45).margin(1e-6));
  o.undo();
  turn_to(38.1, centre);
  CHECK(angle() == Approx(37).margin(1e-6));
  o.undo();
  turn_to(22, centre);
  CHECK(angle() == Approx(22).margin(0.6));
  CHECK(std::abs(angle() - 22) > 1e-6);
  o.undo();
  // The middle onto the corner of its own frame: that stays where it is. A click on the knob shows it.
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, turn_knob(o.bench().view().to_px(o.bounds(1))).toPoint());
  const Box from = o.bounds(1);
  drag(&o.bench(), o.at(centre.x, centre.y), o.at(from.x0, from.y1) + QPoint(2, -2));
  turn_to(89, {from.x0, from.y1});
  CHECK(angle() == Approx(90).margin(1e-6));
  CHECK(o.bounds(1).x1 == Approx(from.x0).margin(kMicron));
  CHECK(o.bounds(1).y1 == Approx(from.y1).margin(kMicron));
}

TEST_CASE("knobs slant a piece and mirror it about its middle") {
  QSettings().clear();
  Opened o(laid({Box::of(60, 60, 60, 40)}));
  o.pick({{1, ""}});
  const Box from = o.bounds(1);
  const auto knob = [&](double x, double y, int dx, int dy) {
    const Box b = o.bounds(1);
    return o.at(b.x0 + x * b.width(), b.y0 + y * b.height()) + QPoint(dx, dy);
  };
  const double px = o.bench().view().px_per_mm;
  const QPoint below = knob(0.5, 1, 0, 20);
  drag(&o.bench(), below, below + QPoint(static_cast<int>(std::tan(29.0 * std::numbers::pi / 180) * 40 * px), 0));
  o.session().settle();
  CHECK(o.bounds(1).width() == Approx(60 + 40 * std::tan(std::numbers::pi / 6)).margin(kMicron));
  CHECK(o.bounds(1).x0 == Approx(from.x0).margin(kMicron));
  CHECK(o.bounds(1).height() == Approx(40).margin(kMicron));
  o.undo();
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, turn_knob(o.bench().view().to_px(o.bounds(1))).toPoint());
  // The middle onto the right edge, then left to right: it lies on the other side.
  drag(&o.bench(), o.at(from.centre().x, from.centre().y), o.at(from.x1, from.centre().y) + QPoint(-2, 1));
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, knob(0, 0, -20, -20));
  o.session().settle();
  CHECK(o.bounds(1).x0 == Approx(from.x1).margin(kMicron));
  CHECK(find_piece(o.project(), 1)->placement.determinant() < 0);
  o.undo();
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, knob(0, 1, -20, 20));
  o.session().settle();
  CHECK(o.bounds(1).y0 == Approx(from.y0).margin(kMicron));
  CHECK(find_piece(o.project(), 1)->placement.d < 0);
}

TEST_CASE("guides are pulled from the rulers, met, moved, and gone back on the ruler") {
  QSettings().clear();
  Opened o(laid({Box::of(60, 60, 60, 40), Box::of(180, 150, 30, 30)}));
  run(o, "zoom-fit");
  const QPoint ruler(static_cast<int>(kRulerWidth) + 200, static_cast<int>(kRulerHeight) / 2);
  drag(&o.bench(), ruler, QPoint(ruler.x(), o.at(0, 121.0).y()));
  REQUIRE(o.project().guides.size() == 1);
  CHECK(o.project().guides[0].axis == Axis::y);
  const double at = o.project().guides[0].at_mm;
  CHECK(at == Approx(121).margin(4));
  o.pick({{1, ""}});
  const Box from = o.bounds(1);
  const QPoint press = o.at(from.x0 + 17, from.y0);
  drag(&o.bench(), press, press + QPoint(33, o.at(0, at).y() - o.at(0, from.y1).y() - 3));
  CHECK(saved(o, 1).y1 == Approx(at).margin(kMicron));
  // An upright one from the left, put onto an edge of the other piece.
  const QPoint left(static_cast<int>(kRulerWidth) / 2, o.at(0, 230).y());
  drag(&o.bench(), left, QPoint(o.at(180, 0).x() + 4, left.y()));
  REQUIRE(o.project().guides.size() == 2);
  CHECK(o.project().guides[1].axis == Axis::x);
  CHECK(o.project().guides[1].at_mm == Approx(180).margin(kMicron));
  // Moved, and back on its ruler.
  const QPoint on(o.at(180, 0).x(), o.at(0, 240).y());
  drag(&o.bench(), on, on + QPoint(60, 0));
  CHECK(o.project().guides[1].at_mm > 190);
  o.undo();
  drag(&o.bench(), on, QPoint(5, on.y()));
  CHECK(o.project().guides.size() == 1);
  o.undo();
  CHECK(o.project().guides.size() == 2);
  run(o, "guides-away");
  CHECK(o.project().guides.empty());
}

TEST_CASE("a greeting dropped in the middle of the card's right half is held there by H, and let go by Shift+H") {
  QSettings().clear();
  Opened o(laid({Box::of(200, 200, 31, 27), Box::of(20, 30, 5 * 25.4, 4 * 25.4)}));
  const auto off = [&] {
    const Box c = o.bounds(2), g = o.bounds(1);
    return norm(Vec{g.centre().x - (c.x0 + 0.75 * c.width()), g.centre().y - c.centre().y});
  };
  o.pick({{1, ""}});
  const Box from = o.bounds(1), card = o.bounds(2);
  const double px = o.bench().view().px_per_mm;
  const Vec by{card.x0 + 0.75 * card.width() - from.centre().x, card.centre().y - from.centre().y};
  const QPoint press = o.at(from.x0 + 8, from.y0);
  QTest::keyClick(&o.bench(), Qt::Key_H);  // nothing has been met yet
  CHECK(find_piece(o.project(), 1)->holds.empty());
  drag(&o.bench(), press,
       press + QPoint(static_cast<int>(std::lround(by.x * px)) + 3, static_cast<int>(std::lround(by.y * px)) - 2));
  CHECK(off() < kMicron);
  QTest::keyClick(&o.bench(), Qt::Key_H);
  o.session().settle();
  REQUIRE(find_piece(o.project(), 1)->holds.size() == 2);
  CHECK(o.find<QLabel>("held-x")->text().contains(QStringLiteral("middle of the right half")));
  // The card from 5 x 4 to 7 x 5 in, typed; the greeting follows at once, and in the saved file.
  o.pick({{2, ""}});
  o.click("aspectLock");
  type(o.find<NumberField>("widthField"), "7 in");
  type(o.find<NumberField>("heightField"), "5\"");
  o.session().settle();
  CHECK(o.bounds(2).width() == Approx(177.8).margin(0.002));
  CHECK(o.bounds(2).height() == Approx(127).margin(0.002));
  CHECK(off() < 1e-6);
  const Box greeting = saved(o, 1), grown = saved(o, 2);
  CHECK(greeting.centre().x == Approx(grown.x0 + 0.75 * grown.width()).margin(1e-6));
  CHECK(greeting.width() == Approx(31).margin(1e-6));
  // Dragging the card takes it along; one undo takes both back.
  const Box before = o.bounds(2);
  const QPoint edge = o.at(before.x0 + 40, before.y0);
  drag(&o.bench(), edge, edge + QPoint(31, 43));
  o.session().settle();
  CHECK(o.bounds(2).y0 > before.y0 + 5);
  CHECK(off() < 1e-6);
  o.undo();
  CHECK(o.bounds(2).y0 == Approx(before.y0).margin(1e-9));
  CHECK(off() < 1e-6);
  // By hand off the middle it is let go, without a question; undo holds it again.
  o.pick({{1, ""}});
  const Box lies = o.bounds(1);
  const QPoint corner = o.at(lies.x0 + 8, lies.y0);
  drag(&o.bench(), corner, corner + QPoint(0, 60));
  o.session().settle();
  CHECK(find_piece(o.project(), 1)->holds.size() == 1);
  o.undo();
  CHECK(find_piece(o.project(), 1)->holds.size() == 2);
  run(o, "let-go");
  CHECK(find_piece(o.project(), 1)->holds.empty());
  o.undo();
  o.click("letGo-x");
  REQUIRE(find_piece(o.project(), 1)->holds.size() == 1);
  CHECK(find_piece(o.project(), 1)->holds[0].axis == Axis::y);
}

TEST_CASE("an edge held in an edge takes a typed distance, rings are refused in words, a row is held by its key") {
  QSettings().clear();
  Opened o(
      laid({Box::of(230, 180, 24, 26), Box::of(40, 60, 120, 70), Box::of(58, 180, 30, 30), Box::of(110, 190, 30, 30)}));
  o.pick({{1, ""}});
  const Box from = o.bounds(1), label = o.bounds(2);
  const double px = o.bench().view().px_per_mm;
  const QPoint press = o.at(from.x0 + 6, from.y0);
  // Left edge to left edge, well below its top and its middle.
  drag(&o.bench(), press,
       press +
           QPoint(static_cast<int>((label.x0 - from.x0) * px) + 2, static_cast<int>((label.y0 + 14 - from.y0) * px)));
  CHECK(o.bounds(1).x0 == Approx(label.x0).margin(kMicron));
  QTest::keyClick(&o.bench(), Qt::Key_H);
  REQUIRE_FALSE(find_piece(o.project(), 1)->holds.empty());
  type(named(o, "Distance to the right, held"), "3");
  o.session().settle();
  CHECK(o.bounds(1).x0 == Approx(label.x0 + 3).margin(kMicron));
  // What follows a piece is not met by it: the label goes where the hand puts it, a hair beside where it was.
  o.pick({{2, ""}});
  const QPoint edge = o.at(label.x0 + 70, label.y0);
  drag(&o.bench(), edge, edge + QPoint(5, 0));
  o.session().settle();
  CHECK(o.bounds(1).x0 == Approx(o.bounds(2).x0 + 3).margin(kMicron));
  CHECK(o.bounds(2).x0 == Approx(label.x0 + 5 / px).margin(1e-9));
  o.undo();
  // In a column with it the label would have to follow what follows it.
  o.pick({{1, ""}, {2, ""}, {4, ""}});
  run(o, "hold-row");
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("itself")));
  CHECK(find_piece(o.project(), 2)->holds.empty());
  o.pick({{2, ""}, {3, ""}, {4, ""}});
  run(o, "hold-row");
  const int held =
      static_cast<int>(std::count_if(o.project().pieces.begin(), o.project().pieces.end(),
                                     [](const auto& p) { return p->holds.size() == 1 && !p->holds[0].row.empty(); }));
  CHECK(held == 1);
}

TEST_CASE("art is fitted inside a blank by keys and follows it, with a margin that is typed") {
  QSettings().clear();
  Project p = laid({Box::of(200, 200, 30, 40)});
  p = *add_shape(std::move(p), "blank", {{"form", std::string("disc")}, {"across", 90.0}});
  Opened o(p);
  o.pick({{1, ""}, {2, ""}});
  run(o, "fit-inside");
  REQUIRE(find_piece(o.project(), 1)->fit);
  CHECK(std::hypot(o.bounds(1).width(), o.bounds(1).height()) == Approx(84).margin(0.02));
  CHECK(o.session().selectedPieces() == std::vector<int>{1});
  CHECK(o.find<QLabel>("held-fit")->text().contains(QStringLiteral("Fitted inside Blank")));
  type(named(o, "Margin that is kept"), "8 mm");
  o.session().settle();
  CHECK(std::hypot(o.bounds(1).width(), o.bounds(1).height()) == Approx(74).margin(0.02));
  // The blank is dragged by its edge, and takes it along.
  o.pick({{2, ""}});
  const Box blank = o.bounds(2);
  const QPoint edge = o.at(blank.centre().x + 45 * std::cos(0.6), blank.centre().y - 45 * std::sin(0.6));
  drag(&o.bench(), edge, edge + QPoint(-37, 21));
  o.session().settle();
  CHECK(o.bounds(2).x0 < blank.x0 - 5);
  CHECK(distance(o.bounds(1).centre(), o.bounds(2).centre()) < 0.001);
  o.undo();
  CHECK(distance(o.bounds(1).centre(), blank.centre()) < 0.001);
  o.pick({{1, ""}});
  o.click("letGo-fit");
  CHECK_FALSE(find_piece(o.project(), 1)->fit);
}

TEST_CASE("nodes of a plain line are dragged onto others, added and turned by double clicks, taken out by Delete") {
  QSettings().clear();
  Project p = new_project("nodes");
  Artwork art;
  for (const auto& [id, x] : {std::pair("a", 40.0), std::pair("b", 160.0)}) {
    ArtLine line;
    line.id = id, line.stroke = Color{40, 40, 40};
    line.path.contours.push_back(
        {{x, 60}, {Segment::line({x + 50, 60}), Segment::line({x + 25, 120}), Segment::line({x, 60})}, true});
    Artwork one;
    one.lines = {line};
    p = add_artwork(std::move(p), one, std::string(id) + ".svg");
  }
  Opened o(p);
  o.pick({{1, "a"}});
  const auto contour = [&] { return find_piece(o.project(), 1)->lines[0].path->contours[0]; };
  drag(&o.bench(), o.at(65, 120), o.at(185, 120) + QPoint(3, -2));
  o.session().settle();
  CHECK(distance(contour().segments[1].end, {185, 120}) < kMicron);
  o.undo();
  CHECK(distance(contour().segments[1].end, {65, 120}) < 1e-9);
  // On the top edge a node more, which then is pulled up and made smooth.
  const auto twice = [&](QPoint at) {
    QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, at);
    QTest::mouseDClick(&o.bench(), Qt::LeftButton, {}, at);
    o.session().settle();
  };
  twice(o.at(57, 60));
  REQUIRE(contour().segments.size() == 4);
  CHECK(o.session().selection() == std::vector<LineRef>{{1, "a"}});
  const Vec added = contour().segments[0].end;
  drag(&o.bench(), o.at(added.x, added.y), o.at(added.x, added.y) + QPoint(0, -31));
  o.session().settle();
  CHECK(contour().segments[0].end.y < 55);
  const Vec pulled = contour().segments[0].end;
  twice(o.at(pulled.x, pulled.y));
  CHECK_FALSE(contour().segments[0].straight);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(pulled.x, pulled.y));
  QTest::keyClick(&o.bench(), Qt::Key_Delete);
  o.session().settle();
  CHECK(contour().segments.size() == 3);
  CHECK(o.project().pieces.size() == 2);
}

TEST_CASE("a label is made by hand alone: a plate, circles dropped onto its corners, cut away") {
  QSettings().clear();
  Opened o(new_project("label"));
  run(o, "shape-rectangle");
  type(o.find<NumberField>("widthField"), "120");
  o.session().settle();
  if (o.bounds(1).width() != Approx(120).margin(0.01)) FAIL("the plate has no width");
  const Box plate = o.bounds(1);
  const Vec corners[] = {{plate.x0, plate.y0}, {plate.x1, plate.y0}, {plate.x1, plate.y1}, {plate.x0, plate.y1}};
  for (int i = 0; i < 4; ++i) {
    run(o, "shape-ellipse");
    type(o.find<NumberField>("widthField"), "20");
    type(o.find<NumberField>("heightField"), "20");
    o.session().settle();
    const int id = o.session().selectedPieces().front();
    CHECK(o.bounds(id).height() == Approx(20).margin(0.01));
    // Out of the others' way first, then with its middle near the corner.
    const Vec middle = o.bounds(id).centre();
    drag(&o.bench(), o.at(middle.x, middle.y), o.at(corners[i].x, corners[i].y) + QPoint(3 - i, -2 + i));
    o.session().settle();
    CHECK(distance(o.bounds(id).centre(), corners[i]) < kMicron);
  }
  run(o, "select-all");
  run(o, "combine-cut-away");
  o.session().settle();
  double area = 0;
  for (const auto& part : o.session().derived().layout.parts) area = std::max(area, part.area_mm2);
  // Four quarters of circles are one circle.
  CHECK(area == Approx(plate.width() * plate.height() - std::numbers::pi * 100).epsilon(1e-4));
}
