// Putting the figure together, by hand: which part comes next, where it lies, what is in its place.
#include <QFile>
#include <QListView>

#include "app/make/steps_ledger.hpp"
#include "app/style.hpp"
#include "core/format/project_json.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A window at the Make stage.
struct Making : Opened {
  explicit Making(const QString& path) : Opened(path) { begin(); }
  void begin() {
    stage(Stage::make);
    session().settle();
    QTest::qWait(1);
  }
  GuideView& figure() { return window.make().figure(); }
  GuideView& sheet() { return window.make().sheet(); }
  StepsList* list() { return find<StepsList>("stepsLedger"); }
  QString text(const char* name) { return find<QLabel>(name)->text().simplified(); }
  const Layout& layout() { return session().derived().layout; }
  /// The first copy of the part that is called so.
  std::size_t laid(const std::string& name, int copy = 1) {
    for (std::size_t k = 0; k < layout().laid.size(); ++k) {
      if (layout().parts[layout().laid[k].part].name == name && layout().laid[k].copy == copy) return k;
    }
    FAIL("no part " << name);
    return 0;
  }
  /// How many copies are said to be in place, in the project.
  std::size_t in_place() {
    std::size_t out = 0;
    for (const auto& record : project().parts) out += record.in_place.size();
    return out;
  }
  /// The row whose text begins so.
  int row(const QString& begins) {
    const auto* model = list()->model();
    for (int i = 0; i < model->rowCount(); ++i) {
      if (model->index(i, 0).data().toString().startsWith(begins)) return i;
    }
    FAIL("no row " << begins.toStdString());
    return -1;
  }
  void clickRow(int at) {
    list()->scrollTo(list()->model()->index(at, 0));
    QTest::mouseClick(list()->viewport(), Qt::LeftButton, {},
                      list()->visualRect(list()->model()->index(at, 0)).center());
    session().settle();
  }
  void clickRing(int at) {
    list()->scrollTo(list()->model()->index(at, 0));
    QTest::mouseClick(list()->viewport(), Qt::LeftButton, {}, list()->ring(at).center());
    session().settle();
  }
  /// What a view paints at a place.
  static QColor painted(GuideView& view, QPointF at) {
    view.finishPainting();
    const QImage image = view.grab().toImage();
    return image.pixelColor((at * image.devicePixelRatio()).toPoint());
  }
};

}  // namespace

TEST_CASE("the heron is put together from the back layer up: each part lights up on its sheet, Return ticks it off") {
  Making o(demo(QStringLiteral("wading-heron")));
  const std::string before = to_json(o.project());
  const auto steps = assembly_of(o.session().derived().drawing, o.layout());
  REQUIRE(steps.size() == 17);
  CHECK(o.text("stepsCount") == "0 of 17 in place");
  // Every one of them in turn is looked for, named with its sheet, and shown there in the colour that means it.
  o.figure().setFocus();
  for (std::size_t s = 0; s < steps.size(); ++s) {
    CAPTURE(s);
    const std::size_t part = steps[s].parts.front();
    const Part& known = o.layout().parts[part];
    CHECK(o.text("wantedName") == qs(std::to_string(known.number) + " " + known.name));
    CHECK(o.text("wantedFacts").contains(QStringLiteral("On sheet %1").arg(sheets_with(o.layout(), part).front())));
    const std::size_t k = o.laid(known.name);
    for (GuideView* view : {&o.figure(), &o.sheet()}) {
      const auto at = view->number(k);
      REQUIRE(at);
      REQUIRE(QRectF(view->rect()).contains(*at));
      if (s % 4 == 0) CHECK(Making::painted(*view, *at + QPointF(0, 8.5)) == theme().accent);
    }
    QTest::keyClick(&o.figure(), Qt::Key_Return);
    o.session().settle();
    CHECK(o.in_place() == s + 1);
    CHECK(o.text("stepsCount") == QStringLiteral("%1 of 17 in place").arg(s + 1));
  }
  // What was ticked can be let go again, and undo goes back to the same bytes.
  const std::string last = o.text("wantedName").toStdString();
  QTest::keyClick(&o.figure(), Qt::Key_Return);
  o.session().settle();
  CHECK(o.in_place() == 16);
  for (int i = 0; i < 18; ++i) o.undo();
  CHECK(to_json(o.project()) == before);
  CHECK(o.text("stepsCount") == "0 of 17 in place");
}

TEST_CASE("ticked off faster than the plan follows, each part is ticked once and the next one is looked for") {
  Making o(demo(QStringLiteral("wading-heron")));
  const auto steps = assembly_of(o.session().derived().drawing, o.layout());
  o.figure().setFocus();
  for (int i = 0; i < 6; ++i) QTest::keyClick(&o.figure(), Qt::Key_Return);
  CHECK(o.text("wantedName").endsWith(qs(o.layout().parts[steps[6].parts.front()].name)));
  o.session().settle();
  CHECK(o.in_place() == 6);
  CHECK(o.text("stepsCount") == "6 of 17 in place");
  CHECK(o.text("wantedName").endsWith(qs(o.layout().parts[steps[6].parts.front()].name)));
}

TEST_CASE("a part is looked for from the list, in the figure and on its sheet, and the other views follow") {
  Making o(demo(QStringLiteral("wading-heron")));
  o.clickRow(o.row(QStringLiteral("7 Body")));
  CHECK(o.text("wantedName") == "7 Body");
  // On the sheet, its neighbour.
  const std::size_t neck = o.laid("Neck");
  const auto there = o.sheet().number(neck);
  REQUIRE(there);
  QTest::mouseClick(&o.sheet(), Qt::LeftButton, {}, there->toPoint());
  CHECK(o.text("wantedName").endsWith("Neck"));
  CHECK(o.list()->currentIndex().row() == o.row(QStringLiteral("4 Neck")));
  // In the figure, what lies beneath and was laid before: a leg, in another step and on another sheet.
  const std::size_t leg = o.laid("Leg, far");
  const auto at = o.figure().number(leg);
  REQUIRE(at);
  QTest::mouseClick(&o.figure(), Qt::LeftButton, {}, at->toPoint());
  CHECK(o.text("wantedName").endsWith("Leg, far"));
  CHECK(o.sheet().number(leg).has_value());
  // Keys go on from there.
  QTest::keyClick(&o.figure(), Qt::Key_Right);
  CHECK(o.text("wantedName").endsWith("Leg, near"));
  QTest::keyClick(&o.figure(), Qt::Key_PageUp);
  CHECK(o.text("wantedName").endsWith("Leg, far"));
  o.list()->setFocus();
  QTest::keyClick(o.list(), Qt::Key_Down);
  CHECK(o.text("wantedName").endsWith("Leg, near"));
  QTest::keyClick(o.list(), Qt::Key_Space);
  o.session().settle();
  CHECK(o.session().derived().layout.laid[o.laid("Leg, near")].in_place);
  CHECK(o.in_place() == 1);
  // Nothing is selected unseen: Delete takes nothing away here.
  const std::size_t pieces = o.project().pieces.size();
  QTest::keyClick(&o.figure(), Qt::Key_Delete);
  o.session().settle();
  CHECK(o.project().pieces.size() == pieces);
}

TEST_CASE("a step with several parts or copies is ticked off as a whole, and what is ticked is saved") {
  Making o(demo(QStringLiteral("fair-pennants")));
  const auto steps = assembly_of(o.session().derived().drawing, o.layout());
  REQUIRE_FALSE(steps.empty());
  const int head = o.row(QStringLiteral("Step 1,"));
  const std::size_t copies = o.layout().laid.size() / o.layout().parts.size();
  REQUIRE(copies == 6);
  o.clickRing(head);
  CHECK(o.in_place() == copies * steps.front().parts.size());
  o.clickRing(head + 2);  // one of them after all not
  CHECK(o.in_place() == copies * steps.front().parts.size() - 1);
  CHECK(o.text("wantedName").contains(", "));
  const std::string now = to_json(o.project());
  o.run("save");
  o.session().settle();
  const QString path = o.session().path();
  o.window.take({path});
  o.session().settle();
  o.begin();
  CHECK(to_json(o.project()) == now);
  CHECK(o.list()->model()->index(head + 1, 0).data(Qt::CheckStateRole).toInt() == Qt::Checked);
  CHECK(o.list()->model()->index(head + 2, 0).data(Qt::CheckStateRole).toInt() == Qt::Unchecked);
  o.clickRing(head);
  CHECK(o.in_place() == copies * steps.front().parts.size());
  o.clickRing(head);
  CHECK(o.in_place() == 0);
}

TEST_CASE("the figure shows layer by layer, tiles from behind, and grows from the top where that is wished") {
  Making o(demo(QStringLiteral("wading-heron")));
  CHECK_FALSE(o.find<QPushButton>("showFaceDown")->isEnabled());
  o.click("showExploded");
  // Head and body lie apart as they do not in the figure: the head, over the neck's end, far above.
  const auto head = o.figure().number(o.laid("Head")), leg = o.figure().number(o.laid("Leg, near"));
  REQUIRE(head);
  REQUIRE(leg);
  CHECK(QRectF(o.figure().rect()).contains(*head));
  CHECK(QRectF(o.figure().rect()).contains(*leg));
  CHECK(head->y() < leg->y());
  QTest::keyClick(&o.figure(), Qt::Key_Escape);
  CHECK(o.find<QPushButton>("showTogether")->isChecked());
  choose(o.find<QComboBox>("makeOrder"), 1);
  o.session().settle();
  CHECK(o.project().laying.top_first);
  CHECK(o.row(QStringLiteral("1 Wing,")) == 0);
  o.clickRow(1);
  CHECK(o.text("stepHint").contains("reveal"));
  choose(o.find<QComboBox>("makeOrder"), 0);
  o.session().settle();
  CHECK_FALSE(o.project().laying.top_first);
  // A backing in tiles has a step from behind.
  o.stage(Stage::draft);
  o.run("select-all");
  o.run("outline-behind");
  o.run("divide-large");
  wait_for([&] { return !o.session().editing(); });
  o.session().settle();
  o.begin();
  const auto steps = assembly_of(o.session().derived().drawing, o.layout());
  REQUIRE(steps.front().in_tiles);
  REQUIRE(steps.front().parts.size() > 1);
  o.clickRow(o.row(QStringLiteral("Step 1,")));
  CHECK(o.text("stepHint").contains("face down"));
  const std::size_t first = steps.front().parts.front();
  std::size_t k = 0;
  while (o.layout().laid[k].part != first) ++k;
  const auto before = o.figure().number(k);
  const auto other = o.figure().number(o.laid(o.layout().parts[steps.front().parts.back()].name));
  o.click("showFaceDown");
  const auto behind = o.figure().number(k);
  const auto other_behind = o.figure().number(o.laid(o.layout().parts[steps.front().parts.back()].name));
  REQUIRE((before && behind && other && other_behind));
  REQUIRE(std::max(std::abs(before->x() - other->x()), std::abs(before->y() - other->y())) > 5);
  // What was left of the other is right of it from behind; above stays above.
  if (std::abs(before->x() - other->x()) > 5) CHECK((before->x() < other->x()) != (behind->x() < other_behind->x()));
  if (std::abs(before->y() - other->y()) > 5) CHECK((before->y() < other->y()) == (behind->y() < other_behind->y()));
}

TEST_CASE("steps and plan at true scale are saved from the panel, in the order that is wished") {
  Making o(demo(QStringLiteral("wading-heron")));
  for (const char* button : {"save-guide", "save-poster"}) {
    o.answers.save = o.folder.filePath(QString::fromLatin1(button) + QStringLiteral(".pdf"));
    o.click(button);
    wait_for([&] { return QFile::exists(o.answers.save); });
    o.session().settle();
    QFile file(o.answers.save);
    REQUIRE(file.open(QIODevice::ReadOnly));
    CHECK(file.read(5) == "%PDF-");
    auto* notice = o.window.findChild<Notice*>();
    wait_for([&] { return notice->message().contains(QStringLiteral("Saved")); });
    CHECK(notice->message().simplified().contains("pages"));
  }
}
