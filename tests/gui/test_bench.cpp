// The bench by mouse and keys: sizing by handles, picking, banding, panning, zooming, nudging, and Alt-clicked
// contours.
#include <QWheelEvent>

#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

/// A new project with two rectangles far apart; the first is selected.
struct Two : Opened {
  int left = 0, right = 0;
  Two() : Opened(QString()) {
    session().newProject();
    Project p = *add_shape(session().project(), "rectangle", {{"width", 40.0}, {"height", 20.0}}, &left);
    p = *add_shape(std::move(p), "rectangle", {{"width", 30.0}, {"height", 30.0}}, &right);
    p = move_pieces(std::move(p), {left}, {-80, 0});
    p = move_pieces(std::move(p), {right}, {80, 0});
    put(p);
    pick({{left, ""}});
  }
  Box box(int id) { return find_drawn(session().drawing(), id)->bounds; }
  QPoint px(double x, double y) { return bench().view().to_px(Vec{x, y}).toPoint(); }
  void drag(QPoint from, QPoint to, Qt::MouseButton button = Qt::LeftButton,
            Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::mousePress(&bench(), button, keys, from);
    QTest::mouseMove(&bench(), (from + to) / 2);
    QTest::mouseMove(&bench(), to);
    (void)bench().grab();  // what is being dragged is painted, too
    QTest::mouseRelease(&bench(), button, keys, to);
    session().settle();
  }
  void wheel(QPoint ticks, Qt::KeyboardModifiers keys, QPoint pixels = {}) {
    const QPointF at = bench().rect().center();
    QWheelEvent event(at, bench().mapToGlobal(at), pixels, ticks, Qt::NoButton, keys, Qt::NoScrollPhase, false);
    QCoreApplication::sendEvent(&bench(), &event);
  }
};

}  // namespace

TEST_CASE("a corner handle sizes in proportion or freely, a side handle one way, each drag one step to undo") {
  Two o;
  const Box before = o.box(o.left);
  // The lower right corner twice as far out: proportions are kept, the upper left corner stays.
  o.drag(o.px(before.x1, before.y1), o.px(before.x0 + 2 * before.width(), before.y0 + 2 * before.height()));
  Box now = o.box(o.left);
  CHECK(now.x0 == Approx(before.x0).margin(0.01));
  CHECK(now.y0 == Approx(before.y0).margin(0.01));
  CHECK(now.width() == Approx(80).margin(1));
  CHECK(now.width() / now.height() == Approx(2).epsilon(0.001));
  o.undo();
  CHECK(o.box(o.left).width() == Approx(40));
  // Free: what the mouse says.
  o.click("aspectLock");
  o.drag(o.px(before.x1, before.y1), o.px(before.x0 + 60, before.y0 + 50));
  now = o.box(o.left);
  CHECK(now.width() == Approx(60).margin(1));
  CHECK(now.height() == Approx(50).margin(1));
  // The left side: the right one stays, the height too.
  o.drag(o.px(now.x0, now.centre().y), o.px(now.x0 - 20, now.centre().y + 30));
  CHECK(o.box(o.left).x1 == Approx(now.x1).margin(0.01));
  CHECK(o.box(o.left).width() == Approx(80).margin(1));
  CHECK(o.box(o.left).height() == Approx(now.height()).margin(0.01));
  // Over a handle the cursor says which way it goes.
  QTest::mouseMove(&o.bench(), o.px(o.box(o.left).x1, o.box(o.left).centre().y));
  CHECK(o.bench().cursor().shape() == Qt::SizeHorCursor);
  QTest::mouseMove(&o.bench(), o.px(o.box(o.left).x1 + 60, o.box(o.left).y1 + 60));
  CHECK(o.bench().cursor().shape() == Qt::ArrowCursor);
}

TEST_CASE("clicks pick pieces, Ctrl adds and takes away, a second click or a double one picks the line") {
  Two o;
  const Box a = o.box(o.left), b = o.box(o.right);
  const QPoint on_a = o.px(a.centre().x + 9, a.y0), on_b = o.px(b.centre().x + 8, b.y0);  // clear of handles
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, on_b);
  CHECK(o.session().selectedPieces() == std::vector<int>{o.right});
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::ControlModifier, on_a);
  CHECK(o.session().selection().size() == 2);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::ControlModifier, on_a);
  CHECK(o.session().selectedPieces() == std::vector<int>{o.right});
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, o.px(150, 280));
  CHECK(o.session().selection().empty());
  // As a mouse sends it: the second press comes as a double click, and its release follows.
  auto double_click = [&](QPoint at) {
    QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, at);
    QTest::mouseDClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, at);
    QTest::mouseRelease(&o.bench(), Qt::LeftButton, Qt::NoModifier, at);
  };
  double_click(on_b);
  REQUIRE(o.session().selection().size() == 1);
  CHECK(o.session().selection().front() == LineRef{o.right, "outline"});
  // In a group a click means all of it, a double click the piece.
  o.pick({{o.left, ""}, {o.right, ""}});
  run(o, "group");
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, o.px(150, 280));
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, on_a);
  CHECK(o.session().selectedPieces().size() == 2);
  double_click(on_a);
  CHECK(o.session().selection() == std::vector<LineRef>{{o.left, ""}});
}

TEST_CASE("a band picks what lies inside it, with Ctrl besides what was picked") {
  Two o;
  o.pick(std::vector<LineRef>{});
  const Box a = o.box(o.left), b = o.box(o.right);
  o.drag(o.px(b.x0 - 5, b.y0 - 5), o.px(b.x1 + 5, b.y1 + 5));
  CHECK(o.session().selectedPieces() == std::vector<int>{o.right});
  o.drag(o.px(a.x0 - 5, a.y0 - 5), o.px(a.x1 + 5, a.y1 + 5), Qt::LeftButton, Qt::ControlModifier);
  CHECK(o.session().selectedPieces().size() == 2);
  // Half a piece is not inside.
  o.drag(o.px(a.x0 - 5, a.y0 - 5), o.px(a.centre().x, a.y1 + 5));
  CHECK(o.session().selection().empty());
}

TEST_CASE("the view is panned by the middle button, by Space and by a touchpad, and zoomed about the pointer") {
  Two o;
  const QPointF start = o.bench().view().origin;
  const QPoint from(500, 300);
  o.drag(from, from + QPoint(40, 25), Qt::MiddleButton);
  CHECK(o.bench().view().origin.x() == Approx(start.x() + 40));
  CHECK(o.bench().view().origin.y() == Approx(start.y() + 25));
  QTest::keyPress(&o.bench(), Qt::Key_Space);
  CHECK(o.bench().cursor().shape() == Qt::OpenHandCursor);
  o.drag(from, from - QPoint(40, 25));
  QTest::keyRelease(&o.bench(), Qt::Key_Space);
  CHECK(o.bench().view().origin.x() == Approx(start.x()));
  CHECK(o.session().selectedPieces() == std::vector<int>{o.left});  // panning picks nothing
  o.wheel({}, Qt::NoModifier, {12, -7});
  CHECK(o.bench().view().origin.x() == Approx(start.x() + 12));
  o.wheel({0, 120}, Qt::ShiftModifier);
  CHECK(o.bench().view().origin.x() == Approx(start.x() + 12 + 40));
  const Vec under = o.bench().view().to_mm(QPointF(o.bench().rect().center()));
  const double scale = o.bench().view().px_per_mm;
  o.wheel({0, 120}, Qt::NoModifier);
  CHECK(o.bench().view().px_per_mm == Approx(scale * 1.2));
  CHECK(distance(o.bench().view().to_mm(QPointF(o.bench().rect().center())), under) < 0.01);
}

TEST_CASE("arrow keys move a piece all four ways, by more with Shift, and Escape lets go") {
  Two o;
  const Box before = o.box(o.left);
  auto moved = [&] { return Vec{o.box(o.left).x0 - before.x0, o.box(o.left).y0 - before.y0}; };
  o.press(Qt::Key_Right);
  const double step = moved().x;
  CHECK(step > 0);
  o.press(Qt::Key_Left);
  CHECK(moved().x == Approx(0).margin(1e-9));
  o.press(Qt::Key_Down);
  CHECK(moved().y == Approx(step));
  o.press(Qt::Key_Up);
  o.press(Qt::Key_Up, Qt::ShiftModifier);
  CHECK(-moved().y > step * 1.5);
  o.press(Qt::Key_Escape);
  CHECK(o.session().selection().empty());
  const Vec kept = moved();
  o.press(Qt::Key_Right);
  CHECK(moved() == kept);
}

TEST_CASE("what a finding means is shown: brought into view and marked until something else is") {
  Two o;
  View away = o.bench().view();
  away.origin = {-40000, -40000};
  o.bench().setView(away);
  const QImage before = o.bench().grab().toImage();
  o.bench().point({{o.right, ""}});
  const Box b = o.box(o.right);
  CHECK(QRectF(o.bench().rect()).contains(o.bench().view().to_px(b.centre())));
  o.bench().finishPainting();
  const QImage marked = o.bench().grab().toImage();
  CHECK_FALSE(marked == before);
  o.bench().point({{o.right, "outline"}});
  CHECK(o.bench().grab().toImage() == marked);  // its only line is all of it
  o.bench().point({});
  CHECK_FALSE(o.bench().grab().toImage() == marked);
}

TEST_CASE("an Alt-click drops a contour, and with Shift keeps it alone") {
  Opened o{QString()};
  o.session().newProject();
  int id = 0;
  Project p = *add_shape(o.session().project(), "ring", {{"outer", 60.0}, {"inner", 30.0}}, &id);
  o.put(std::move(p));
  o.session().settle();
  o.pick({{id, ""}});
  auto contours = [&] {
    std::size_t n = 0;
    for (const auto& line : find_drawn(o.session().drawing(), id)->piece->lines) n += line.path->contours.size();
    return n;
  };
  REQUIRE(contours() == 2);
  const Box box = find_drawn(o.session().drawing(), id)->bounds;
  const QPoint inner = o.bench().view().to_px(Vec{box.centre().x + 15, box.centre().y}).toPoint();
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::AltModifier, inner);
  o.session().settle();
  CHECK(contours() == 1);
  CHECK(find_drawn(o.session().drawing(), id)->bounds.width() == Approx(60).margin(0.01));
  o.undo();
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::AltModifier | Qt::ShiftModifier, inner);
  o.session().settle();
  CHECK(contours() == 1);
  CHECK(find_drawn(o.session().drawing(), id)->bounds.width() == Approx(30).margin(0.01));
}

}  // namespace dotlane::test

TEST_CASE("when a dragged piece is let go its handles are painted at once") {
  struct Paints : QObject {
    int n = 0;
    bool eventFilter(QObject*, QEvent* event) override {
      n += event->type() == QEvent::Paint;
      return false;
    }
  };
  dotlane::test::Opened o;
  o.pick("Cliff");
  const QPoint from = o.at(o.bounds("Cliff").centre().x, o.bounds("Cliff").centre().y);
  QTest::mousePress(&o.bench(), Qt::LeftButton, {}, from);
  for (int i = 1; i <= 6; ++i) QTest::mouseMove(&o.bench(), from + QPoint(4 * i, 2 * i));
  o.session().settle();
  QTest::qWait(200);
  Paints paints;
  o.bench().installEventFilter(&paints);
  QTest::mouseRelease(&o.bench(), Qt::LeftButton, {}, from + QPoint(24, 12));
  QTest::qWait(60);
  CHECK(paints.n > 0);
  o.bench().removeEventFilter(&paints);
}
