// The figure as a whole, by hand: how big it may be, and made so.
#include "core/format/project_json.hpp"
#include "core/layout/how_big.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A window that asks how big the figure may be, and what it was told.
struct Asked : Opened {
  explicit Asked(const QString& path) : Opened(path) {}
  Notice* notice() { return window.findChild<Notice*>(); }
  void ask() {
    QTest::keySequence(&bench(), window.actions().find(QStringLiteral("how-big"))->shortcut());
    session().settle();
    wait_for([&] { return notice()->isVisible() && notice()->message().contains(QStringLiteral("At most")); });
  }
  double scale() {
    const Derived& d = session().derived();
    return how_big(d.project, d.drawing, d.layout).scale;
  }
};

}  // namespace

TEST_CASE("how big the figure may be is told with what stops it, and one key makes it so, and undo brings it back") {
  Asked o(demo(QStringLiteral("wading-heron")));
  const std::string before = to_json(o.project());
  const Box was = o.session().drawing().bounds();
  const double scale = o.scale();
  REQUIRE(scale > 1.05);
  o.table()->setFocus();
  o.ask();
  CHECK(o.notice()->message().contains("Body stops it"));
  CHECK(o.notice()->message().contains("12 x 24 in"));
  QTest::keyClick(&o.window, Qt::Key_F6);
  REQUIRE(qobject_cast<QAbstractButton*>(QApplication::focusWidget()));
  CHECK(qobject_cast<QAbstractButton*>(QApplication::focusWidget())->text() == "Size it so");
  QTest::keyClick(QApplication::focusWidget(), Qt::Key_Space);
  // The keyboard is where it was: what is typed next goes to the bench, not to the project's name.
  CHECK(QApplication::focusWidget() == o.table());
  o.session().settle();
  const Box now = o.session().drawing().bounds();
  CHECK(now.height() == Approx(was.height() * scale).epsilon(0.002));
  CHECK(now.width() == Approx(was.width() * scale).epsilon(0.002));
  CHECK(o.scale() == Approx(1).epsilon(0.01));
  o.undo();
  CHECK(to_json(o.project()) == before);
}

TEST_CASE("an answer to an older question changes nothing, and without parts there is no answer") {
  Asked o(demo(QStringLiteral("wading-heron")));
  o.ask();
  o.session().select({{o.project().pieces.front()->id, ""}});
  QTest::keyClick(o.table(), Qt::Key_Right);
  o.session().settle();
  const Project moved = o.project();
  QTest::keyClick(&o.window, Qt::Key_F6);
  QTest::keyClick(QApplication::focusWidget(), Qt::Key_Space);
  o.session().settle();
  CHECK(o.project() == moved);
  CHECK(o.notice()->message().contains("changed meanwhile"));

  Opened empty;
  empty.put(new_project("Nothing yet"));
  QTest::keySequence(&empty.bench(), empty.window.actions().find(QStringLiteral("how-big"))->shortcut());
  empty.session().settle();
  wait_for([&] { return empty.window.findChild<Notice*>()->message().contains(QStringLiteral("no part yet")); });
}
