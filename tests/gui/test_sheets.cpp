// The Sheets stage by hand: parts taken hold of, turned, moved between sheets, kept together, left out; copies,
// offcuts, scraps and the shelf.
#include <QtTest/qtestspontaneevent.h>
#include <QListView>
#include <QScrollArea>
#include <QScrollBar>
#include <QWheelEvent>
#include <set>

#include "app/sheets/figure_view.hpp"
#include "app/sheets/parts_ledger.hpp"
#include "app/sheets/photograph_view.hpp"
#include "app/style.hpp"
#include "core/layout/shelf.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

/// The fair stall at its sheets.
struct Stall : Opened {
  Stall() : Opened(demo(QStringLiteral("fair-stall"))) {
    stage(Stage::sheets);
    session().settle();
  }
  const Layout& layout() { return session().derived().layout; }
  std::size_t part(const char* name, int copy = 1) {
    for (std::size_t k = 0; k < layout().laid.size(); ++k) {
      if (layout().parts[layout().laid[k].part].name == name && layout().laid[k].copy == copy) return k;
    }
    FAIL("no part " << name);
    return 0;
  }
  Vec centre(std::size_t k) { return layout().laid[k].map(layout().parts[layout().laid[k].part].centre); }
  QPoint on_screen(Vec mm, int load) { return window.sheets().view_of(load).to_px(mm).toPoint(); }
  int load_of(std::size_t k) { return layout().sheet(layout().laid[k].sheet)->load; }
  QPoint at(std::size_t k) { return on_screen(centre(k), load_of(k)); }
  void click_part(std::size_t k, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::mouseClick(&window.sheets(), Qt::LeftButton, keys, at(k));
    session().settle();
  }
  void drag_to(QPoint from, QPoint to) {
    drag(&window.sheets(), from, to);
    session().settle();
  }
  double px(double mm) { return window.sheets().view_of(1).px_per_mm * mm; }
  /// The row of the ledger that reads so.
  QPoint row(const QString& words) {
    auto* list = find<QListView>("partsLedger");
    for (int i = 0; i < list->model()->rowCount(); ++i) {
      const QModelIndex at = list->model()->index(i, 0);
      if (!at.data().toString().contains(words)) continue;
      list->scrollTo(at);
      return list->visualRect(at).center();
    }
    FAIL("no row " << words.toStdString());
    return {};
  }
  bool says(const QString& words) { return find<Notice>("notice")->message().contains(words); }
  bool has(const char* code) {
    const auto& findings = session().derived().findings;
    return std::any_of(findings.begin(), findings.end(), [&](const Finding& f) { return f.code == code; });
  }
};

NumberField* field(Opened& o, const char* name) {
  for (auto* f : o.window.findChildren<NumberField*>()) {
    if (f->editor()->accessibleName() == QString::fromLatin1(name) && f->isVisible()) return f;
  }
  FAIL("no field " << name);
  return nullptr;
}

}  // namespace

TEST_CASE("the sheets are zoomed and panned as the bench is") {
  Stall o;
  SheetsView& view = o.window.sheets();
  const QPointF at(200, 150);
  const auto wheel = [&](QPoint ticks, Qt::KeyboardModifiers keys, QPoint pixels = {}) {
    QWheelEvent event(at, view.mapToGlobal(at), pixels, ticks, Qt::NoButton, keys, Qt::NoScrollPhase, false);
    QCoreApplication::sendEvent(&view, &event);
  };
  const View before = view.view();
  wheel({0, 120}, Qt::NoModifier);
  CHECK(view.view().px_per_mm == Approx(1.2 * before.px_per_mm));
  // What is under the pointer stays under it.
  CHECK(distance(view.view().to_mm(at), before.to_mm(at)) < 1e-6);
  QPointF origin = view.view().origin;
  wheel({0, 120}, Qt::ShiftModifier);
  CHECK(view.view().origin == origin + QPointF(40, 0));
  wheel({}, Qt::NoModifier, {12, -7});
  CHECK(view.view().origin == origin + QPointF(52, -7));
  // Space and drag, and the middle button, pan; nothing is chosen or moved by it.
  const Project project = o.project();
  origin = view.view().origin;
  view.setFocus();
  QTest::keyPress(&view, Qt::Key_Space);
  drag(&view, o.at(0), o.at(0) + QPoint(30, 20));
  QTest::keyRelease(&view, Qt::Key_Space);
  CHECK(QLineF(view.view().origin, origin + QPointF(30, 20)).length() < 1.5);
  CHECK(o.project() == project);
}

TEST_CASE("sheets by hand: a part is dragged on its sheet, the figure stays, and one undo brings it back") {
  Stall o;
  const std::size_t k = o.part("Pin badge");
  const Vec was = o.centre(k);
  const Project before = o.project();
  const Box figure = o.session().drawing().bounds();
  o.drag_to(o.at(k), o.at(k) + QPoint(static_cast<int>(o.px(30)), 0));
  CHECK(distance(o.centre(k), was + Vec{30, 0}) < 2);
  CHECK_FALSE(o.layout().laid[k].drawn);
  CHECK(o.session().drawing().bounds() == figure);
  CHECK(o.project().pieces == before.pieces);
  o.undo();
  CHECK(o.project() == before);
  CHECK(distance(o.centre(k), was) < 1e-9);
  // Escape lets go of what is dragged.
  QTest::mousePress(&o.window.sheets(), Qt::LeftButton, {}, o.at(k));
  QTest::mouseMove(&o.window.sheets(), o.at(k) + QPoint(60, 10));
  QTest::keyClick(&o.window.sheets(), Qt::Key_Escape);
  QTest::mouseRelease(&o.window.sheets(), Qt::LeftButton, {}, o.at(k) + QPoint(60, 10));
  o.session().settle();
  CHECK(o.project() == before);
}

TEST_CASE("sheets by hand: arrows, turning keys, the knob and typed places move and turn what is chosen") {
  Stall o;
  const std::size_t k = o.part("Price tag 1");
  o.click_part(k);
  CHECK(o.session().selectedPieces().size() == 1);
  const Vec was = o.centre(k);
  const Project before = o.project();
  for (int i = 0; i < 3; ++i) o.press(Qt::Key_Right);
  o.press(Qt::Key_Down, Qt::ShiftModifier);
  CHECK(distance(o.centre(k), was + Vec{3, 10}) < 1e-6);
  o.undo();  // one burst
  CHECK(o.project() == before);
  const auto turn = [&] {
    const LaidPart& laid = o.layout().laid[k];
    return place_of(o.session().derived().drawing, o.layout().parts[laid.part], laid.map, *o.layout().sheet(laid.sheet))
        .turn_deg;
  };
  const double upright = turn();
  o.run("part-turn-left");
  CHECK(std::abs(std::remainder(turn() - upright - 15, 360)) < 1e-6);
  o.run("part-turn-right");
  o.run("part-turn-right");
  CHECK(std::abs(std::remainder(turn() - upright + 15, 360)) < 1e-6);
  CHECK(distance(o.centre(k), was) < 1e-6);
  // The knob, a quarter around the centre, in steps.
  const auto knob = o.window.sheets().knob();
  REQUIRE(knob);
  const QPointF c = o.at(k), from = *knob - c;
  const double before_turn = turn();
  drag(&o.window.sheets(), knob->toPoint(), (c + QPointF(from.y(), -from.x())).toPoint(), Qt::ShiftModifier);
  o.session().settle();
  CHECK(std::abs(std::remainder(turn() - before_turn - 90, 360)) < 1e-6);
  type(field(o, "Part turned from upright"), "33");
  o.session().settle();
  CHECK(turn() == Approx(33));
  type(field(o, "Part from the left edge of its sheet"), "12.5");
  o.session().settle();
  type(field(o, "Part from the top edge of its sheet"), "140");
  o.session().settle();
  const Box box = bounds_on_mat(o.layout(), k);
  const Box sheet = o.layout().sheet(o.layout().laid[k].sheet)->area;
  CHECK(box.x0 - sheet.x0 == Approx(12.5));
  CHECK(box.y0 - sheet.y0 == Approx(140));
}

TEST_CASE("sheets by hand: what lies on another is told while dragged and in the second look, and room is found") {
  Stall o;
  const std::size_t a = o.part("Pin badge"), b = o.part("Price tag 1");
  REQUIRE(o.layout().laid[a].sheet == o.layout().laid[b].sheet);
  CHECK_FALSE(o.has("parts-overlap"));
  // While it is held over the tag, both are hatched; brought back, nothing is.
  const auto hatched = [&](QPoint over) {
    QTest::mousePress(&o.window.sheets(), Qt::LeftButton, {}, o.at(a));
    QTest::mouseMove(&o.window.sheets(), o.at(a) + QPoint(9, 9));
    QTest::mouseMove(&o.window.sheets(), over);
    const QImage image = o.window.sheets().grab().toImage();
    QTest::keyClick(&o.window.sheets(), Qt::Key_Escape);
    QTest::mouseRelease(&o.window.sheets(), Qt::LeftButton, {}, over);
    o.session().settle();
    int found = 0;
    for (int y = 0; y < image.height(); ++y) {
      for (int x = 0; x < image.width(); ++x) found += image.pixelColor(x, y) == theme().serious;
    }
    return found;
  };
  CHECK(hatched(o.at(b)) > 100);
  CHECK(hatched(o.at(a) + QPoint(1, 1)) == 0);
  o.drag_to(o.at(a), o.at(b));
  CHECK(o.has("parts-overlap"));
  o.click("secondLookPill");
  o.click("fix-parts-overlap");
  CHECK_FALSE(o.has("parts-overlap"));
  CHECK_FALSE(o.has("parts-near"));
  CHECK(o.layout().laid[a].sheet != 0);
}

TEST_CASE("sheets by hand: a sheet of another stock refuses a part, another sheet of its own takes it") {
  Stall o;
  const std::size_t k = o.part("Pin badge"), dark = o.part("Scalloped edge");
  const Project before = o.project();
  REQUIRE(o.load_of(k) != o.load_of(dark));
  o.drag_to(o.at(k), o.at(dark));
  CHECK(o.project() == before);
  CHECK(o.says(QStringLiteral("stays where it was")));
  // A sheet put on the shelf and laid on a mat.
  choose(o.find<QComboBox>("shelfStock"), qs(o.layout().parts[o.layout().laid[k].part].stock));
  type(field(o, "Width of a sheet for the shelf"), "200");
  type(field(o, "Height of a sheet for the shelf"), "150");
  click(o.find<QPushButton>("shelfAdd"));
  REQUIRE(o.project().shelf.size() == 1);
  CHECK(o.project().shelf[0].width_mm == Approx(200));
  CHECK_FALSE(o.project().shelf[0].count);
  o.click("shelfLay1");
  REQUIRE(o.layout().loads() == 3);
  const Sheet sheet = o.project().sheets.back();
  const Vec middle = sheet.area.centre();
  o.drag_to(o.at(k), o.on_screen(middle, sheet.load));
  CHECK(o.layout().laid[k].sheet == sheet.id);
  CHECK(distance(o.centre(k), middle) < 2);
  CHECK(o.session().derived().plan.passes.size() > 0);
  // And back by the ledger: dragged onto a row of the first sheet, room is found there.
  auto* list = o.find<QListView>("partsLedger");
  list->setMinimumHeight(600);
  drag(list->viewport(), o.row(QStringLiteral("Pin badge")), o.row(QStringLiteral("Sheet 1")));
  o.session().settle();
  CHECK(o.layout().laid[k].sheet == o.layout().sheets.front().sheet.id);
  CHECK_FALSE(o.has("parts-overlap"));
}

TEST_CASE("sheets by hand: taken off, a part waits in the tray, is not run, and is laid from there") {
  Stall o;
  const std::size_t k = o.part("Badge star");
  const auto strokes = [&] {
    std::size_t n = 0;
    for (const auto& pass : o.session().derived().plan.passes) n += pass.strokes.size();
    return n;
  };
  const std::size_t all = strokes();
  const int load = o.load_of(k);
  o.click_part(k);
  o.run("part-off");
  CHECK(o.layout().laid[k].sheet == 0);
  CHECK(strokes() < all);
  CHECK(o.has("part-waiting"));
  const QRectF place = o.window.sheets().in_tray(k);
  REQUIRE_FALSE(place.isEmpty());
  const Sheet* sheet = nullptr;
  for (const auto& placed : o.layout().sheets) {
    if (placed.sheet.load == load) sheet = &placed.sheet;
  }
  const Vec to{sheet->area.x0 + 200, sheet->area.y0 + 200};
  o.drag_to(place.center().toPoint(), o.on_screen(to, load));
  CHECK(o.layout().laid[k].sheet == sheet->id);
  CHECK(distance(o.centre(k), to) < 2);
  CHECK(strokes() == all);
}

TEST_CASE("sheets by hand: parts kept together move as one, and pinned ones stay while the rest is packed") {
  Stall o;
  const std::size_t a = o.part("Price tag 1"), b = o.part("Price tag 2");
  o.click_part(a);
  o.run("part-together");  // one alone cannot be
  CHECK(o.says(QStringLiteral("Choose several")));
  o.click_part(b, Qt::ControlModifier);
  o.run("part-together");
  o.press(Qt::Key_Escape);
  const Vec between = o.centre(b) - o.centre(a), was = o.centre(a);
  const QPoint by(static_cast<int>(o.px(20)), static_cast<int>(o.px(40)));
  o.drag_to(o.at(a), o.at(a) + by);
  CHECK(distance(o.centre(a), was) > 30);
  CHECK(distance(o.centre(b) - o.centre(a), between) < 1e-6);
  CHECK_FALSE(o.has("group-torn"));
  const std::size_t pinned = o.part("Pin badge");
  const Vec there = o.centre(pinned);
  o.click_part(pinned);
  o.run("part-pin");
  CHECK(o.layout().laid[pinned].pinned);
  auto* pack = o.find<QPushButton>("packParts");
  click(pack);
  wait_for([&] { return o.find<QLabel>("packedText")->text().startsWith("So far"); });
  click(pack);
  wait_for([&] { return pack->text() == "Pack the parts"; });
  o.session().settle();
  CHECK(distance(o.centre(pinned), there) < 1e-6);
  CHECK(o.layout().laid[a].sheet == o.layout().laid[b].sheet);
  CHECK(o.layout().laid[a].sheet != 0);
  CHECK_FALSE(o.has("group-torn"));
  CHECK_FALSE(o.has("parts-overlap"));
  CHECK_FALSE(o.has("parts-near"));
}

TEST_CASE("run some of it: parts, a sheet and a pass are left out, said, and taken in again") {
  Stall o;
  const Project before = o.project();
  const double all = o.session().derived().plan.seconds;
  o.click_part(o.part("Pin badge"));
  o.run("part-not-now");
  CHECK(o.layout().laid[o.part("Pin badge")].not_now);
  CHECK(o.session().derived().plan.seconds < all);
  CHECK(o.has("not-now"));
  QTest::mouseClick(o.find<QListView>("partsLedger")->viewport(), Qt::LeftButton, {}, o.row(QStringLiteral("Sheet 2")));
  click(o.find<QCheckBox>("sheetNow"));
  o.session().settle();
  for (const auto& pass : o.session().derived().plan.passes) CHECK(pass.load == 1);
  CHECK(o.session().derived().plan.not_now.size() > 0);
  o.click("runEverything");
  CHECK(o.session().derived().plan.seconds == Approx(all));
  // A pass, by its row in Passes.
  o.stage(Stage::passes);
  QTest::mouseClick(o.window.lanes().viewport(), Qt::LeftButton, {}, o.window.lanes().blockOf(1).center().toPoint());
  o.session().settle();
  const auto passes = o.session().derived().plan.passes.size();
  click(o.find<QCheckBox>("passNow"));
  o.session().settle();
  CHECK(o.session().derived().plan.passes.size() == passes - 1);
  REQUIRE(o.session().derived().plan.not_now.size() == 1);
  o.click("passBack0");
  CHECK(o.session().derived().plan.passes.size() == passes);
  CHECK(o.project().pieces == before.pieces);
}

TEST_CASE("copies: make three of everything, packed from the panel, and the cost by sheet and by tool is said") {
  Stall o;
  const std::size_t one = o.layout().laid.size();
  type(field(o, "How many of everything are made"), "3");
  o.session().settle();
  REQUIRE(o.layout().laid.size() == 3 * one);
  CHECK(o.has("part-waiting"));
  auto* pack = o.find<QPushButton>("packParts");
  click(pack);
  wait_for([&] { return o.find<QLabel>("packedText")->text().startsWith("So far"); });
  click(pack);
  wait_for([&] { return pack->text() == "Pack the parts"; });
  o.session().settle();
  CHECK_FALSE(o.has("part-waiting"));
  CHECK_FALSE(o.has("parts-overlap"));
  // With one holder each mat wants its tools anew, unless mats come and go.
  choose(o.find<QComboBox>("holdersBox"), 0);
  o.session().settle();
  const QString cost = o.find<QLabel>("handsText")->text();
  INFO(cost.toStdString());
  CHECK(cost.contains("By sheet: "));
  CHECK(cost.contains("By tool: "));
  CHECK(cost.contains("again"));
  const Handwork by_sheet = handwork_of(o.session().derived().plan);
  choose(o.find<QComboBox>("handsBox"), 1);
  o.session().settle();
  const Handwork by_tool = handwork_of(o.session().derived().plan);
  CHECK(by_tool.tools < by_sheet.tools);
  CHECK(by_tool.returns > 0);
  CHECK(o.has("mat-returns"));
  CHECK(o.find<QLabel>("handsText")->text() == cost);
  // One part alone in another number.
  o.click_part(o.part("Badge star"));
  type(field(o, "How many of the part are made"), "5");
  o.session().settle();
  CHECK(o.layout().laid.size() == 3 * one + 2);
}

TEST_CASE("what is left of a sheet goes on the shelf, a scrap by its corners too, and both come onto mats") {
  Stall o;
  const std::string stock = o.layout().sheets.front().sheet.stock;
  o.click("keepOffcut");
  o.session().settle();
  REQUIRE(o.project().shelf.size() == 1);
  const Box offcut =
      use_of(o.project(), o.session().derived().drawing, o.layout(), o.layout().sheets.front().sheet, 2).offcut;
  CHECK(o.project().shelf[0].width_mm == Approx(offcut.width()));
  CHECK(o.project().shelf[0].height_mm == Approx(offcut.height()));
  CHECK(o.project().shelf[0].from == "Fair stall");
  o.click("keepRest");
  o.session().settle();
  REQUIRE(o.project().shelf.size() == 2);
  CHECK_FALSE(o.project().shelf[1].outline.empty());
  auto* corners = o.find<QLineEdit>("scrapOutline");
  type(corners, QStringLiteral("0,0 120 0"));
  QTest::keyClick(corners, Qt::Key_Return);
  CHECK(o.says(QStringLiteral("three corners")));
  CHECK(o.project().shelf.size() == 2);
  type(corners, QStringLiteral("0,0 120,0 120,80 60,140 0,140"));
  QTest::keyClick(corners, Qt::Key_Return);
  o.session().settle();
  REQUIRE(o.project().shelf.size() == 3);
  CHECK(o.project().shelf[2].width_mm == Approx(120));
  CHECK(o.project().shelf[2].height_mm == Approx(140));
  o.click_part(o.part("Pin badge"));
  o.click("scrapDrawn");
  REQUIRE(o.project().shelf.size() == 4);
  CHECK(o.project().shelf[3].width_mm == Approx(70).margin(0.1));
  o.undo();
  o.click("shelfLay3");
  const Sheet scrap = o.project().sheets.back();
  CHECK(scrap.shelf == 3);
  CHECK(scrap.outline.size() == 1);
  // A part on the corner that is missing is over the edge.
  const std::size_t k = o.part("Price tag 1");
  o.drag_to(o.at(k), o.on_screen({scrap.area.x1 - 15, scrap.area.y1 - 20}, scrap.load));
  INFO(o.find<Notice>("notice")->message().toStdString());
  CHECK(o.layout().laid[k].sheet == scrap.id);
  CHECK(o.has("off-scrap"));
  o.click_part(k);
  o.run("part-fit");
  CHECK_FALSE(o.has("off-scrap"));
  CHECK(o.layout().laid[k].sheet == scrap.id);
  o.click("removeSheet");
  CHECK(o.layout().laid[k].sheet == 0);
  o.click("shelfRemove1");
  CHECK(o.project().shelf.size() == 2);
  // Another project takes what is on this one's shelf.
  o.answers.save = o.folder.filePath(QStringLiteral("shelf.dotlane"));
  o.run("save-as");
  o.session().settle();
  const auto shelf = o.project().shelf;
  Opened other;
  other.answers.open = {o.answers.save};
  other.stage(Stage::sheets);
  click(other.find<QPushButton>("shelfOther"));
  other.session().settle();
  REQUIRE(other.project().shelf.size() == shelf.size());
  CHECK(other.project().shelf[0].outline == shelf[0].outline);
  use_dialogs(&o.answers);
}

TEST_CASE("the figure at the side and the sheets light the same part, and all mats are in sight at once") {
  Stall o;
  auto* figure = o.find<FigureView>("figureView");
  const std::size_t k = o.part("Pin badge");
  const Part& part = o.layout().parts[o.layout().laid[k].part];
  const QPoint there = figure->at(part.centre + Vec{part.bounds().width() * 0.42, 0}).toPoint();
  QTest::mouseMove(figure, there);
  CHECK(o.window.desk().hovered() == k);
  QTest::mouseClick(figure, Qt::LeftButton, {}, there);
  CHECK(o.window.desk().chosen() == std::vector<std::size_t>{k});
  QTest::mouseMove(&o.window.sheets(), o.at(o.part("Badge star")));
  CHECK(o.window.desk().hovered() == o.part("Badge star"));
  const QRect seen = o.window.sheets().rect();
  const Box mat = o.project().machine.mat_area();
  QRectF first = o.window.sheets().view_of(1).to_px(mat), second = o.window.sheets().view_of(2).to_px(mat);
  CHECK(seen.contains(first.toRect()));
  CHECK(seen.contains(second.toRect()));
  CHECK_FALSE(first.intersects(second));
  o.run("zoom-in");
  CHECK(o.window.sheets().view_of(1).to_px(mat).width() > first.width());
  o.run("zoom-fit");
  CHECK(o.window.sheets().view_of(1).to_px(mat).width() == Approx(first.width()));
}

TEST_CASE(
    "scraps are kept from a photograph: corners dragged, outlines found, laid where they lie, a part put on one") {
  Stall o;
  // The mat from straight above, 3 px a mm, 60 px of table around it: a dark scrap and an amber one.
  QImage photo(1034, 1034, QImage::Format_RGB32);
  photo.fill(QColor(90, 70, 52));
  {
    QPainter p(&photo);
    p.setRenderHint(QPainter::Antialiasing);
    p.fillRect(QRectF(60, 60, 914.4, 914.4), QColor(142, 176, 158));
    p.setPen(Qt::NoPen);
    p.translate(60, 60);
    p.scale(3, 3);
    p.setBrush(QColor(244, 240, 230));
    p.drawPolygon(QPolygonF{{30, 40}, {170, 46}, {166, 150}, {100, 152}, {98, 220}, {26, 214}});
    p.setBrush(QColor(214, 152, 60));
    p.drawRect(QRectF(200, 60, 60, 140));
  }
  const QString path = o.folder.filePath(QStringLiteral("mat.png"));
  REQUIRE(photo.save(path));
  o.answers.open = {path};
  click(o.find<QPushButton>("scrapPhotograph"));
  o.session().settle();
  auto* view = o.find<PhotographView>("photographView");
  REQUIRE(view->isVisible());
  CHECK_FALSE(o.find<QPushButton>("photographKeep")->isEnabled());
  const Quad corners{Vec{60, 60}, {974.4, 60}, {974.4, 974.4}, {60, 974.4}};
  for (std::size_t i = 0; i < 4; ++i)
    drag(view, view->at(view->corners()[i]).toPoint(), view->at(corners[i]).toPoint());
  for (std::size_t i = 0; i < 4; ++i) CHECK(distance(view->corners()[i], corners[i]) < 3);
  o.click("photographFind");
  wait_for([&] { return !view->found().empty(); });
  REQUIRE(view->found().size() == 2);
  const Project before = o.project();
  o.click("photographLay");
  CHECK(o.window.sheets().isVisible());
  REQUIRE(o.project().shelf.size() == 2);
  REQUIRE(o.project().sheets.size() == before.sheets.size() + 2);
  const Sheet scrap = o.project().sheets[before.sheets.size()];
  CHECK(std::abs(scrap.area.x0 - 26) < 1.5);
  CHECK(std::abs(scrap.area.y0 - 40) < 1.5);
  CHECK(std::abs(scrap.area.width() - 144) < 2);
  CHECK(scrap.load == o.project().sheets.back().load);
  const std::size_t k = o.part("Price tag 1");
  o.drag_to(o.at(k), o.on_screen({65, 120}, scrap.load));
  CHECK(o.layout().laid[k].sheet == scrap.id);
  CHECK_FALSE(o.has("off-scrap"));
  // A picture that is none.
  QFile bad(o.folder.filePath(QStringLiteral("bad.png")));
  REQUIRE(bad.open(QIODevice::WriteOnly));
  bad.write("not a picture");
  bad.close();
  o.answers.open = {bad.fileName()};
  click(o.find<QPushButton>("scrapPhotograph"));
  o.session().settle();
  CHECK_FALSE(view->isVisible());
  CHECK(o.says(QStringLiteral("bad.png")));
}

TEST_CASE("the draft of a figure larger than a sheet is a plain table with all its layers, to take hold of") {
  Opened o(demo(QStringLiteral("wading-heron")));
  o.session().settle();
  CHECK_FALSE(o.find<QToolButton>("loadButton")->isVisible());
  // The wing shows in its stock's colour, over the body.
  const DrawnPiece* wing = find_drawn(o.session().drawing(), o.piece("Wing").id);
  const Vec inside{320, 470};
  REQUIRE(wing->bounds.contains(inside));
  o.bench().finishPainting();
  const QColor shown = o.bench().grab().toImage().pixelColor(o.at(inside.x, inside.y));
  const Color card = find_stock(o.project(), "night-card")->color;
  CHECK(std::abs(shown.red() - card.r) < 12);
  CHECK(std::abs(shown.blue() - card.b) < 12);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(inside.x, inside.y));
  CHECK(o.session().selectedPieces() == std::vector<int>{o.piece("Wing").id});
  const Box was = wing->bounds;
  const auto places = o.project().parts;
  drag(&o.bench(), o.at(inside.x, inside.y), o.at(inside.x + 60, inside.y));
  o.session().settle();
  CHECK(find_drawn(o.session().drawing(), o.piece("Wing").id)->bounds.x0 > was.x0 + 40);
  REQUIRE(o.project().parts.size() == places.size());  // it lies where it lay
  for (std::size_t i = 0; i < places.size(); ++i) CHECK(o.project().parts[i].places == places[i].places);
  o.undo();
  // Where all lies as drawn, the mats are there.
  o.stage(Stage::sheets);
  click(o.find<QPushButton>("layAsDrawn"));
  o.session().settle();
  o.stage(Stage::draft);
  CHECK(o.find<QToolButton>("loadButton")->isVisible());
}

TEST_CASE("the wheel over a choice scrolls the panel and changes nothing") {
  Opened o(demo(QStringLiteral("fish-pennant")));
  o.stage(Stage::sheets);
  o.session().settle();
  auto* choice = o.find<QComboBox>("turnsBox");
  const int before = choice->currentIndex();
  const Project project = o.project();
  auto* area = o.find<QWidget>("sheetsPanel")->findChild<QScrollArea*>();
  REQUIRE(area);
  wait_for([&] { return area->verticalScrollBar()->maximum() > 0; });
  const int from = area->verticalScrollBar()->value();
  const QPointF middle = QRectF(choice->rect()).center();
  for (int i = 0; i < 3; ++i) {
    QWheelEvent event(middle, choice->mapToGlobal(middle), {}, {0, -120}, Qt::NoButton, {}, Qt::NoScrollPhase, false);
    QSpontaneKeyEvent::setSpontaneous(&event);  // as from the window system: such events go on to what is behind
    qApp->notify(choice, &event);
  }
  CHECK(choice->currentIndex() == before);
  CHECK(o.project() == project);
  CHECK(area->verticalScrollBar()->value() > from);
}

TEST_CASE("how much to buy off the bolt is asked for by a button, and forgotten when the layout changes") {
  Opened o(demo(QStringLiteral("fish-pennant")));
  o.stage(Stage::sheets);
  o.session().settle();
  auto* text = o.find<QLabel>("boltText");
  CHECK_FALSE(text->isVisible());
  auto* wide = o.find<NumberField>("boltWide");
  wide->editor()->setFocus();
  wide->editor()->selectAll();
  QTest::keyClicks(wide->editor(), QStringLiteral("300"));
  QTest::keyClick(wide->editor(), Qt::Key_Return);
  auto* button = o.find<QPushButton>("boltButton");
  click(button);
  CHECK(button->text() == "Stop packing");
  wait_for([&] { return button->text() == "How much to buy"; });
  const QString said = text->text().simplified();
  CHECK(said.contains(QStringLiteral("Felt: ")));
  CHECK(said.contains(QStringLiteral("Fusible web for Cotton, rose")));
  CHECK_FALSE(said.contains(QStringLiteral("web for Felt")));
  CHECK(said.contains(QStringLiteral("1 part")));
  // Another number takes back what was said.
  auto* copies = o.find<NumberField>("boltCopies");
  copies->editor()->setFocus();
  copies->editor()->selectAll();
  QTest::keyClicks(copies->editor(), QStringLiteral("6"));
  CHECK_FALSE(text->isVisible());
  // What takes long can be given up.
  type(copies, "499");
  click(button);
  CHECK(text->text() == "Packing…");
  click(button);
  CHECK(button->text() == "How much to buy");
  CHECK_FALSE(text->isVisible());
  o.session().settle();
  CHECK_FALSE(text->isVisible());
}

TEST_CASE("a batch says what it takes of the shelf, what is to be bought, what it costs in all and apiece") {
  Project p = new_project("Tags");
  p = add_shape(std::move(p), "tag", {{"width", 180.0}, {"height", 130.0}}).value();
  ShelfItem sheets;
  sheets.stock = p.sheets.front().stock, sheets.width_mm = 200, sheets.height_mm = 150, sheets.count = 5,
  sheets.price = 1.35;
  add_to_shelf(p, sheets);
  Opened o(p);
  o.stage(Stage::sheets);
  auto* text = o.find<QLabel>("batchText");
  CHECK_FALSE(text->isVisible());
  type(o.find<NumberField>("batchCopies"), "7");
  o.click("batchButton");
  wait_for([&] { return text->isVisible(); });
  const auto told = [&](const char* words) {
    return text->text().replace(QChar::Nbsp, u' ').contains(QString::fromLatin1(words));
  };
  CHECK(told("7 sheets, 2 to buy for "));
  QStringList sums;
  for (auto* label : o.window.findChildren<QLabel*>(QStringLiteral("batchInAll"))) sums << label->text();
  REQUIRE(sums.size() == 3);  // sheets, what is left of them, together
  CHECK(sums.front() == QLocale().toCurrencyString(9.45));
  // What was said of another number is gone, as after an edit.
  type(o.find<NumberField>("batchCopies"), "3");
  CHECK_FALSE(text->isVisible());
  o.click("batchButton");
  wait_for([&] { return text->isVisible(); });
  CHECK(told("3 sheets, all on the shelf"));
  o.stage(Stage::draft);
  o.pick({{o.project().pieces.front()->id, ""}});
  o.run("duplicate");
  o.stage(Stage::sheets);
  CHECK_FALSE(text->isVisible());
}

}  // namespace dotlane::test
