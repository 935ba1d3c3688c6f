// The figure as a whole, by hand: how big it may be, and made so; divided where it is larger than its sheets.
#include <QDialog>
#include <QPointer>

#include "app/widgets/number_field.hpp"
#include "core/format/project_json.hpp"
#include "core/layout/how_big.hpp"
#include "core/shape/seams.hpp"
#include "core/shape/step_handles.hpp"
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
  CHECK(o.notice()->message().contains("Leg, far stops it"));  // within the outline of its scrap
  CHECK(o.notice()->message().contains("12 x 24 in"));
  // All of it is seen: no answer lies over the text or past the edge.
  const auto* text = o.notice()->findChild<QLabel*>();
  CHECK(text->height() >= text->heightForWidth(text->width()));
  for (const auto* button : o.notice()->findChildren<QPushButton*>()) {
    if (!button->isVisible()) continue;
    CHECK(o.notice()->rect().contains(button->geometry()));
    CHECK_FALSE(button->geometry().intersects(text->geometry()));
    CHECK(button->height() >= button->sizeHint().height());
  }
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

TEST_CASE("sizes and sheets: the largest for so many sheets is found, lower layers whole or trimmed, and sized so") {
  Asked o(demo(QStringLiteral("wading-heron")));
  const std::string before = to_json(o.project());
  const double was = o.session().drawing().bounds().height();
  o.ask();
  const auto open = [&] {
    for (auto* button : o.notice()->findChildren<QPushButton*>()) {
      if (button->isVisible() && button->text() == QStringLiteral("Sizes and sheets"))
        QTest::mouseClick(button, Qt::LeftButton);
    }
    return o.window.findChild<QDialog*>(QStringLiteral("sizeSheet"));
  };
  QPointer<QDialog> sheet = open();
  REQUIRE(sheet);
  auto* size = sheet->findChild<QPushButton*>(QStringLiteral("sizeItSo"));
  auto* text = sheet->findChild<QLabel*>(QStringLiteral("sizeSheets"));
  auto* school = sheet->findChild<QComboBox*>(QStringLiteral("schoolBox"));
  auto* answer = sheet->findChild<QLabel*>(QStringLiteral("sizeAnswer"));
  wait_for([&] { return size->isEnabled() && text->text().contains(QStringLiteral("That takes")); }, 60'000);
  CHECK(answer->text().contains(QStringLiteral("Leg, far stops it")));
  CHECK(school->count() == 2);
  // Trimmed it may be larger.
  const QString whole = answer->text();
  choose(school, 1);
  wait_for([&] { return answer->text() != whole; });
  choose(school, 0);
  // For four sheets in all, one of each card.
  auto* field = sheet->findChild<NumberField*>(QStringLiteral("sheetsAtMost"))->editor();
  QTest::mouseClick(field, Qt::LeftButton);
  field->selectAll();
  QTest::keyClicks(field, QStringLiteral("4"));
  QTest::keyClick(field, Qt::Key_Return);
  REQUIRE(sheet);  // Enter in a field chooses, and does not close
  wait_for([&] { return text->text().simplified().contains(QStringLiteral("takes 4 sheets at most")); }, 60'000);
  QTest::mouseClick(size, Qt::LeftButton);
  o.session().settle();
  const double now = o.session().drawing().bounds().height();
  CHECK(now < was * 1.1);
  CHECK(now > was * 0.8);
  const Derived& d = o.session().derived();
  std::size_t sheets = 0;
  for (const auto& [stock, n] : sheets_at(d.project, d.drawing, d.layout, 1)) sheets += n;
  CHECK(sheets == 4);
  o.undo();
  CHECK(to_json(o.project()) == before);
}

namespace {

/// The heron with a backing behind all of it, which is the one piece selected then.
struct Backed : Opened {
  Backed() : Opened(demo(QStringLiteral("wading-heron"))) {
    Project stocked = project();  // with card enough
    for (auto& item : stocked.shelf) item.count = item.count ? 9 : item.count;
    put(stocked);
    table()->setFocus();
    QTest::keySequence(table(), QKeySequence::SelectAll);
    press("outline-behind");
  }
  void press(const char* action) {
    QTest::keySequence(&bench(), window.actions().find(QString::fromLatin1(action))->shortcut());
    session().settle();
  }
  Notice* notice() { return window.findChild<Notice*>(); }
  void divide() {
    press("divide-large");
    wait_for([&] { return notice()->isVisible() && notice()->message().contains(QStringLiteral("tiles")); });
    session().settle();
  }
  void answer(const char* text) {
    for (auto* button : notice()->findChildren<QPushButton*>()) {
      if (button->isVisible() && button->text() == QString::fromLatin1(text))
        return QTest::mouseClick(button, Qt::LeftButton);
    }
    FAIL("no answer " << text);
  }
  int backing() { return session().selectedPieces().at(0); }
  std::shared_ptr<const Seamed> seamed() { return find_drawn(session().drawing(), backing())->outcomes.back().seamed; }
  std::vector<StepHandle> handles() { return step_handles(project(), session().drawing(), backing()); }
};

}  // namespace

TEST_CASE(
    "what is larger than its sheet is divided by one key, seams follow the hand, undo brings back the same bytes") {
  Backed o;
  const std::string whole = to_json(o.project());
  o.divide();
  CHECK(o.notice()->message().contains(QStringLiteral("in sight")));
  o.answer("Leave them");
  REQUIRE(o.seamed());
  CHECK(o.seamed()->runs.size() >= 2);
  CHECK(o.seamed()->tiles > o.seamed()->runs.size());
  const std::string divided = to_json(o.project());
  // Dragged by the middle it runs there and is pinned; a click on it lets it go.
  const auto handle = o.handles().front();
  REQUIRE(handle.what == StepHandle::What::seam);
  const Vec to = handle.at + Vec{0, -12};
  drag(&o.bench(), o.at(handle.at.x, handle.at.y), o.at(to.x, to.y));
  o.session().settle();
  const Seamed::Run run = o.seamed()->runs[handle.made];
  CHECK(run.pinned);
  CHECK(std::abs(o.handles().front().at.y - to.y) < 4);
  const Vec now = o.handles().front().at;
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(now.x, now.y));
  o.session().settle();
  CHECK_FALSE(o.seamed()->runs[handle.made].pinned);
  o.undo();
  o.undo();
  CHECK(to_json(o.project()) == divided);
  o.undo();
  CHECK(to_json(o.project()) == whole);
}

TEST_CASE("the divided figure is packed from the notice, and every tile lies on a sheet") {
  Backed o;
  o.divide();
  const std::size_t tiles = o.seamed()->tiles;
  o.answer("Pack the parts");
  CHECK(o.window.findChild<QWidget*>(QStringLiteral("packParts"))->isVisible());
  // Enough of it once there is an answer.
  auto* pack = o.window.findChild<QPushButton*>(QStringLiteral("packParts"));
  wait_for([&] { return pack->text() != QStringLiteral("Pack the parts"); });
  QTest::mouseClick(pack, Qt::LeftButton);
  wait_for([&] { return pack->text() == QStringLiteral("Pack the parts"); });
  o.session().settle();
  const Derived& d = o.session().derived();
  std::size_t laid = 0;
  for (const auto& copy : d.layout.laid) {
    CHECK(copy.sheet != 0);
    laid += d.layout.parts[copy.part].first.piece == d.project.pieces.back()->id;
  }
  CHECK(laid == tiles);
}

TEST_CASE("cards of nearly the same colour are named with the sheets they take, united by one answer, and undone") {
  Opened o(demo(QStringLiteral("wading-heron")));
  Project p = o.project();
  // The reeds' green once more, a shade lighter, under one of them.
  Stock mist = *find_stock(p, "reed-card");
  mist.id = "moss-card", mist.name = "Moss card", mist.color.g = static_cast<std::uint8_t>(mist.color.g + 3);
  p.stocks.push_back(mist);
  p = set_stock(p, p.pieces.back()->id, "moss-card");
  o.put(p);
  o.session().settle();
  const std::string before = to_json(o.project());
  QTest::keySequence(&o.bench(), o.window.actions().find(QStringLiteral("unite-stocks"))->shortcut());
  auto* notice = o.window.findChild<Notice*>();
  wait_for([&] { return notice->isVisible() && notice->message().contains(QStringLiteral("CIEDE2000")); });
  CHECK(notice->message().startsWith(QStringLiteral("Moss card and Reed card differ by")));
  CHECK(notice->message().simplified().contains(QStringLiteral("take 1 sheet less")));
  CHECK(notice->message().simplified().contains(QStringLiteral("Moss card carries 1 part")));
  for (auto* button : notice->findChildren<QPushButton*>()) {
    if (button->isVisible() && button->text() == QStringLiteral("Unite them"))
      QTest::mouseClick(button, Qt::LeftButton);
  }
  o.session().settle();
  CHECK(o.project().pieces.back()->stock == "reed-card");
  o.undo();
  CHECK(to_json(o.project()) == before);
}

TEST_CASE("how it is put together is saved as pages, and a name without an ending gets one") {
  Opened o(demo(QStringLiteral("wading-heron")));
  const QTemporaryDir folder;
  o.answers.save = folder.filePath(QStringLiteral("heron guide"));
  QTest::keySequence(&o.bench(), o.window.actions().find(QStringLiteral("save-guide"))->shortcut());
  auto* notice = o.window.findChild<Notice*>();
  wait_for([&] { return notice->isVisible() && notice->message().contains(QStringLiteral("Saved")); });
  CHECK(notice->message().simplified() == QStringLiteral("Saved heron guide.pdf: 23 pages"));
  QFile pdf(o.answers.save + QStringLiteral(".pdf"));
  REQUIRE(pdf.open(QIODevice::ReadOnly));
  CHECK(pdf.read(5) == "%PDF-");
  CHECK(pdf.size() > 20'000);
  // Nothing to put together is said, and no file is written.
  o.answers.save = folder.filePath(QStringLiteral("nothing.pdf"));
  o.put(new_project("Nothing yet"));
  QTest::keySequence(&o.bench(), o.window.actions().find(QStringLiteral("save-guide"))->shortcut());
  wait_for([&] { return notice->message().contains(QStringLiteral("nothing to put together")); });
  CHECK_FALSE(QFile::exists(o.answers.save));
}
