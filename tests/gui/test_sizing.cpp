// Sizing, turning and mirroring by hand: a drag ends where the mouse lets go, however long the recipe takes.
#include <QImage>
#include <QPainter>

#include "app/notice.hpp"
#include "core/format/project_json.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

/// A picture with a ring and a star, as somebody would scan it.
QString picture_in(const QTemporaryDir& folder) {
  QImage image(600, 400, QImage::Format_RGB32);
  image.fill(Qt::white);
  QPainter p(&image);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(Qt::black, 24));
  p.drawEllipse(QPointF(180, 200), 130, 130);
  p.setBrush(Qt::black);
  p.drawPolygon(QPolygonF{{330, 60}, {560, 200}, {330, 340}});
  p.end();
  const QString path = folder.filePath(QStringLiteral("scan.png"));
  REQUIRE(image.save(path));
  return path;
}

/// The lower right corner of the frame around what is selected, on the screen.
QPoint corner(Opened& o, const std::vector<int>& ids) {
  const Box box = frame_around(o.session().drawing(), ids);
  return o.at(box.x1, box.y1);
}

Box frame(Opened& o, const std::vector<int>& ids) { return frame_around(o.session().drawing(), ids); }

std::string saw() {
  std::string d = "M20 100";
  for (int i = 0; i < 900; ++i)
    d += " L" + std::to_string(20 + i * 0.2 + 0.1) + " 90 L" + std::to_string(20 + (i + 1) * 0.2) + " 100";
  return R"(<svg xmlns="http://www.w3.org/2000/svg" width="300mm" height="300mm" viewBox="0 0 300 300" fill="none" stroke="#222222"><path id="saw" d=")" +
         d + R"( L200 150 L20 150 Z"/></svg>)";
}

QString saw_in(const QTemporaryDir& folder) {
  const QString path = folder.filePath(QStringLiteral("saw.svg"));
  QFile file(path);
  REQUIRE(file.open(QIODevice::WriteOnly));
  file.write(saw().c_str());
  return path;
}

}  // namespace

TEST_CASE("a freshly traced picture follows its corner, and ends where the mouse lets go") {
  Opened o{QString()};
  o.answers.open = {picture_in(o.folder)};
  o.run("bring-in");
  REQUIRE(o.project().pieces.size() == 1);
  const int id = o.project().pieces.front()->id;
  const Box before = o.bounds(id);
  const QPoint from = corner(o, {id});
  const QPoint to = from + QPoint(static_cast<int>(25 * o.bench().view().px_per_mm), 0);
  drag(&o.bench(), from, to);
  o.session().settle();
  const Box now = o.bounds(id);
  CHECK(now.width() ==
        Approx(before.width() + 25).margin(2 / o.bench().view().px_per_mm));  // pixels, as hands have them
  CHECK(now.x0 == Approx(before.x0).margin(0.01));
  CHECK(now.y0 == Approx(before.y0).margin(0.01));
  CHECK(now.height() / now.width() == Approx(before.height() / before.width()).epsilon(0.002));
  // One step back.
  o.undo();
  CHECK(o.bounds(id).width() == Approx(before.width()).margin(0.001));
}

TEST_CASE("a frame on the traced picture leaves out what lies outside, at the same scale") {
  Opened o{QString()};
  o.answers.open = {picture_in(o.folder)};
  o.run("bring-in");
  const int id = o.project().pieces.front()->id;
  const Box whole = o.bounds(id);
  auto* frame = o.find<QWidget>("cropFrame");
  REQUIRE(frame->isVisible());
  // The right side to 45 %: the triangle and a part of the ring go; of 600 px, 80 mm wide, the ring takes 38 to 322.
  drag(frame, QPoint(frame->width() - 2, frame->height() / 2), QPoint(frame->width() * 45 / 100, frame->height() / 2));
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx((0.45 * 600 - 38) * 80 / 600).margin(1));
  CHECK(o.bounds(id).height() == Approx(284.0 * 80 / 600).margin(0.2));
  const double part = o.bounds(id).width();
  // The frame moves by keys as well: a hundredth of the picture shows more of the ring.
  frame->setFocus();
  QTest::keyClick(frame, Qt::Key_Right);
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx(part + 0.8).margin(0.2));
  o.undo();
  o.undo();
  CHECK(o.bounds(id).width() == Approx(whole.width()).margin(0.001));
}

TEST_CASE("a slow recipe is sized by handle, by typing and by arrow while older results are still under way") {
  Opened o{QString()};
  o.answers.open = {saw_in(o.folder)};
  o.run("bring-in");
  const int id = o.project().pieces.front()->id;
  o.run("step-offset");
  const Box start = o.bounds(id);
  CHECK(start.width() > 180);
  // By handle: three drags, none waiting for the one before.
  QPoint at = corner(o, {id});
  for (int i = 0; i < 3; ++i) {
    drag(&o.bench(), at, at - QPoint(30, 0));
    at -= QPoint(30, 0);
    // Proportions are kept: the corner of the frame that is shown lies below the pointer.
    const double w = start.width() - (i + 1) * 30 / o.bench().view().px_per_mm;
    at.setY(o.at(0, start.y0 + w * start.height() / start.width()).y());
  }
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx(start.width() - 90 / o.bench().view().px_per_mm).margin(0.6));
  CHECK(o.bounds(id).x0 == Approx(start.x0).margin(0.01));
  // Typed digit by digit, then more by the arrow keys, all of it quicker than it is worked out.
  auto* width = o.find<NumberField>("widthField");
  width->editor()->setFocus();
  width->editor()->selectAll();
  QTest::keyClicks(width->editor(), QStringLiteral("120"));
  for (int i = 0; i < 5; ++i) QTest::keyClick(width->editor(), Qt::Key_Up);
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx(125).margin(0.003));
  CHECK(width->editor()->text() == QLocale().toString(125.0, 'f', 1));
  // An edit in between is not lost.
  QTest::keyClicks(width->editor(), QStringLiteral("x"));
  width->editor()->selectAll();
  QTest::keyClicks(width->editor(), QStringLiteral("140"));
  QTest::keyClick(&o.bench(), Qt::Key_Right, Qt::ShiftModifier);
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx(140).margin(0.003));
  CHECK(o.bounds(id).x0 == Approx(start.x0 + 10).margin(0.01));
}

TEST_CASE("undoing while a size is being worked out gives it up, and saving waits for it") {
  Opened o{QString()};
  o.answers.open = {saw_in(o.folder)};
  o.run("bring-in");
  const int id = o.project().pieces.front()->id;
  o.run("step-offset");
  const Project before = o.project();
  auto* width = o.find<NumberField>("widthField");
  width->editor()->setFocus();
  width->editor()->selectAll();
  QTest::keyClicks(width->editor(), QStringLiteral("9"));
  REQUIRE(o.session().editing());
  o.run("undo");
  CHECK(o.project() == before);
  width->editor()->setFocus();
  width->editor()->selectAll();
  QTest::keyClicks(width->editor(), QStringLiteral("150"));
  REQUIRE(o.session().editing());
  o.answers.save = o.folder.filePath(QStringLiteral("kept.dotlane"));
  o.run("save-as");
  CHECK(*load_project(o.answers.save.toStdString()) == o.project());
  CHECK(o.bounds(id).width() == Approx(150).margin(0.003));
}

TEST_CASE("a group is sized, turned and mirrored as one by hand, and its pieces alone by a double click") {
  Opened o;
  const std::vector<int> ids{o.piece("Lighthouse").id, o.piece("Cliff").id};
  o.pick({{ids[0], ""}, {ids[1], ""}});
  o.run("group");
  const Box before = frame(o, ids);
  const Box tower = o.bounds(ids[0]), cliff = o.bounds(ids[1]);
  const Project start = o.project();
  // By the corner.
  const QPoint from = corner(o, ids);
  drag(&o.bench(), from, from - QPoint(40, 0));
  o.session().settle();
  CHECK(frame(o, ids).width() == Approx(before.width() - 40 / o.bench().view().px_per_mm).margin(0.6));
  CHECK(frame(o, ids).x0 == Approx(before.x0).margin(0.01));
  while (!(o.project() == start)) o.undo();
  // Exact numbers.
  type(o.find<NumberField>("widthField"), "100");
  o.session().settle();
  CHECK(frame(o, ids).width() == Approx(100).margin(0.003));
  // Offsets keep their lengths, so the rest follows all but exactly.
  CHECK(frame(o, ids).height() == Approx(before.height() * 100 / before.width()).epsilon(0.03));
  o.undo();
  CHECK(o.project() == start);
  // The lock of the frame is that of its pieces.
  o.click("aspectLock");
  type(o.find<NumberField>("heightField"), "50");
  o.session().settle();
  CHECK(frame(o, ids).height() == Approx(50).margin(0.003));
  CHECK(frame(o, ids).width() == Approx(before.width()).margin(0.003));
  o.undo();
  o.undo();
  // Turned by the knob: a quarter of the way round.
  const QRectF px = o.bench().view().to_px(frame(o, ids));
  const QPointF knob = turn_knob(px), middle = px.center();
  const QPointF v = knob - middle;
  drag(&o.bench(), knob.toPoint(), (middle + QPointF(v.y(), -v.x())).toPoint(), Qt::ShiftModifier);
  o.session().settle();
  CHECK(frame(o, ids).width() == Approx(before.height()).margin(0.2));
  CHECK(distance(frame(o, ids).centre(), before.centre()) < 0.2);
  o.undo();
  CHECK(o.project() == start);
  // Typed.
  type(o.find<NumberField>("turnField"), "180");
  o.click("turnBy");
  CHECK(distance(frame(o, ids).centre(), before.centre()) < 0.05);
  CHECK(o.bounds(ids[0]).centre().x == Approx(2 * before.centre().x - tower.centre().x).margin(0.1));
  o.undo();
  // Mirrored by its button.
  o.click("recipe-mirror-across");
  CHECK(o.bounds(ids[0]).centre().x == Approx(2 * before.centre().x - tower.centre().x).margin(0.1));
  CHECK(o.bounds(ids[0]).centre().y == Approx(tower.centre().y).margin(0.1));
  o.undo();
  CHECK(o.project() == start);
  // Into the group by a double click: one piece alone is sized, the group stays.
  const QPoint on = o.at(cliff.centre().x, cliff.centre().y);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, on);
  QTest::mouseDClick(&o.bench(), Qt::LeftButton, {}, on);
  QTest::mouseRelease(&o.bench(), Qt::LeftButton, {}, on);
  REQUIRE(o.session().selectedPieces() == std::vector<int>{ids[1]});
  type(o.find<NumberField>("widthField"), "80");
  o.session().settle();
  CHECK(o.bounds(ids[1]).width() == Approx(80).margin(0.003));
  CHECK(o.bounds(ids[0]).width() == Approx(tower.width()).margin(0.001));
  CHECK_FALSE(o.piece("Cliff").group.empty());
}

TEST_CASE("lengths in recipes stay or grow along, as the switch says") {
  Opened o;
  o.pick("Cliff");
  o.run("step-offset");
  const int id = o.piece("Cliff").id;
  const Box before = o.bounds(id);
  auto by = [&] {
    const auto& values = o.piece("Cliff").steps.back().values;
    return values.contains("by") ? std::get<double>(values.at("by")) : 3.0;
  };
  type(o.find<NumberField>("widthField"), "60");
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx(60).margin(0.003));
  CHECK(by() == 3);
  o.undo();
  o.click("scaleSteps");
  type(o.find<NumberField>("widthField"), "60");
  o.session().settle();
  CHECK(o.bounds(id).width() == Approx(60).margin(0.003));
  CHECK(by() == Approx(3 * 60 / before.width()).margin(0.01));
  CHECK(o.bounds(id).height() == Approx(before.height() * 60 / before.width()).margin(0.03));
}

TEST_CASE("contours are left out by clicking them, without any key held") {
  Opened o{*add_shape(new_project("ring"), "ring", {{"outer", 60.0}, {"inner", 30.0}})};
  const int id = o.project().pieces.front()->id;
  o.pick({{id, ""}});
  o.run("step-drop-contours");
  o.click("value-at");
  REQUIRE(o.bench().picking() == Picking::contours);
  const Box box = o.bounds(id);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(box.centre().x + 15, box.centre().y));
  o.session().settle();
  std::size_t contours = 0;
  for (const auto& line : find_drawn(o.session().drawing(), id)->piece->lines) contours += line.path->contours.size();
  CHECK(contours == 1);
  CHECK(o.piece("Ring").steps.size() == 1);
  o.press(Qt::Key_Escape);
  CHECK(o.bench().picking() == Picking::none);
  CHECK(o.session().selectedPieces() == std::vector<int>{id});
}

TEST_CASE("what could be saved and not be read again is refused, and said") {
  Opened o{QString()};
  const QString path = o.folder.filePath(QStringLiteral("mast.svg"));
  QFile file(path);
  REQUIRE(file.open(QIODevice::WriteOnly));
  file.write(R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100" fill="none"
    stroke="#222222"><path id="mast" d="M20 20 h0.5 v70 h-0.5 z"/></svg>)");
  file.close();
  o.answers.open = {path};
  o.run("bring-in");
  const int mast = o.project().pieces.front()->id;
  o.pick({{mast, ""}});
  const Project before = o.project();
  type(o.find<NumberField>("widthField"), "5000");  // 700 m tall
  o.session().settle();
  CHECK(o.bounds(mast).height() == Approx(70'000));  // as far as 500 it went
  CHECK(project_from_json(to_json(o.project()), "mast").has_value());
  CHECK(o.find<Notice>("notice")->message().contains(QStringLiteral("100 m")));
  o.undo();
  CHECK(o.project() == before);
  type(o.find<NumberField>("widthField"), "5");
  o.session().settle();
  CHECK(o.bounds(mast).height() == Approx(700));
}

}  // namespace dotlane::test
