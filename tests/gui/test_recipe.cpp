// Shaping in the real window: steps, ready shapes, pieces that shape pieces, groups, pictures.
#include <QCheckBox>
#include <QComboBox>
#include <QImage>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>
#include <QMenu>
#include <QPainter>
#include <QSet>
#include <algorithm>

#include "app/notice.hpp"
#include "app/panels/recipe_panel.hpp"
#include "app/recipe/crop_frame.hpp"
#include "app/widgets/number_field.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/format/svg_reader.hpp"
#include "core/geometry/measure.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/step_handles.hpp"
#include "driving.hpp"
#include "render/paint.hpp"

namespace dotlane::test {
namespace {

QString stall() { return demo(QStringLiteral("fair-stall")); }

/// The field of the step that is open.
template <class T>
T* field(Opened& o, const char* key) {
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  for (auto* w : o.window.findChildren<T*>(QStringLiteral("value-") + QString::fromLatin1(key))) {
    if (w->isVisible()) return w;
  }
  FAIL("no field " << key);
  return nullptr;
}

int id_of(Opened& o, const std::string& name) { return o.piece(name).id; }

}  // namespace

TEST_CASE("a step is added, changed, switched off, moved and removed from the panel") {
  Opened o;
  const int cliff = id_of(o, "Cliff");
  o.pick({{cliff, ""}});
  const Box before = o.bounds("Cliff");
  run(o, "step-offset");
  const int step = o.piece("Cliff").steps.back().id;
  CHECK(o.bounds("Cliff").width() == Approx(before.width() + 6).margin(0.2));
  type(field<NumberField>(o, "by"), "5");
  CHECK(o.bounds("Cliff").width() == Approx(before.width() + 10).margin(0.2));
  auto* corners = field<QComboBox>(o, "corners");
  choose(corners, corners->findData(QStringLiteral("mitre")));
  CHECK(std::get<std::string>(o.piece("Cliff").steps.back().values.at("corners")) == "mitre");
  o.click(("switch-step-" + std::to_string(step)).c_str());
  CHECK(o.bounds("Cliff").width() == Approx(before.width()));
  o.click(("switch-step-" + std::to_string(step)).c_str());
  o.click(("raise-step-" + std::to_string(step)).c_str());
  CHECK(o.piece("Cliff").steps[o.piece("Cliff").steps.size() - 2].id == step);
  o.click(("remove-step-" + std::to_string(step)).c_str());
  CHECK(o.bounds("Cliff").width() == Approx(before.width()));
  // Everything can be undone, one action at a time.
  int undone = 0;
  for (; o.session().canUndo(); ++undone) run(o, "undo");
  CHECK(undone == 7);
  CHECK(o.bounds("Cliff") == before);
}

TEST_CASE("bridges hold what would fall out of a stencil, and follow when it is sized") {
  Opened o;
  run(o, "shape-ring");
  const int ring = o.session().selectedPieces().front();
  run(o, "step-bridge");
  const auto made = [&] { return find_drawn(o.session().drawing(), ring)->outcomes.back().bridged; };
  o.session().settle();
  REQUIRE(made());
  CHECK(made()->islands == 1);
  CHECK(made()->bridges.size() == 2);
  type(field<NumberField>(o, "width"), "3");
  o.session().settle();
  CHECK(made()->bridges.front().width_mm == 3);
  const double apart = distance(made()->bridges[0].at, made()->bridges[1].at);
  CHECK(made()->bridges[0].at.x == Approx(made()->bridges[1].at.x).margin(1e-6));
  auto* way = field<QComboBox>(o, "way");
  choose(way, way->findData(QStringLiteral("level")));
  o.session().settle();
  CHECK(made()->bridges[0].at.y == Approx(made()->bridges[1].at.y).margin(1e-6));
  const auto labels = o.window.findChildren<QLabel*>();
  const bool told = std::any_of(labels.begin(), labels.end(), [](const QLabel* label) {
    return label->isVisible() &&
           label->text().simplified().contains(QStringLiteral("weakest 3.0 mm wide, 10.0 mm long"));
  });
  CHECK(told);
  // The ring larger: the bridges go along.
  type(o.find<NumberField>("widthField"), "120");
  o.session().settle();
  CHECK(distance(made()->bridges[0].at, made()->bridges[1].at) > 1.5 * apart);
  const Project saved = o.project();
  CHECK(project_from_json(to_json(saved), "ring").value() == saved);
  while (o.session().canUndo()) QTest::keySequence(o.table(), QKeySequence(QKeySequence::Undo));
  CHECK(find_piece(o.project(), ring) == nullptr);
}

TEST_CASE("repeats are set by handles on the bench: number, pitch and room, each drag one undo") {
  Opened o;
  run(o, "shape-ring");
  const int ring = o.session().selectedPieces().front();
  run(o, "step-repeat");
  o.session().settle();
  const auto made = [&] { return find_drawn(o.session().drawing(), ring)->outcomes.back().repeated; };
  REQUIRE(made());
  CHECK(made()->count == 3);
  const auto handle = [&](StepHandle::What what) {
    for (const auto& h : step_handles(o.project(), o.session().drawing(), ring)) {
      if (h.what == what) return h.at;
    }
    FAIL("no such handle");
    return Vec{};
  };
  run(o, "zoom-selection");
  const double px = 1 / o.bench().view().px_per_mm;
  const auto pull = [&](StepHandle::What what, Vec by) {
    const Vec from = handle(what), to = from + by;
    drag(&o.bench(), o.at(from.x, from.y), o.at(to.x, to.y));
    o.session().settle();
  };
  const double was = made()->pitch_mm;
  pull(StepHandle::What::pitch, {8, 0});
  CHECK(made()->pitch_mm == Approx(was + 8).margin(2 * px));
  const double wider = made()->pitch_mm;
  pull(StepHandle::What::across, {2 * wider, 0});
  CHECK(made()->count == 5);
  pull(StepHandle::What::across, {-3 * wider, 3});
  CHECK(made()->count == 2);
  run(o, "undo"), run(o, "undo");
  CHECK(made()->count == 3);
  CHECK(made()->pitch_mm == Approx(wider));
  run(o, "undo");
  CHECK(made()->pitch_mm == Approx(was));

  // A room that is the sheet lies on it; pulled narrower it takes fewer, and keeps its middle.
  auto* by = field<QComboBox>(o, "by");
  choose(by, by->findData(QStringLiteral("fill-shapes")));
  o.session().settle();
  const Sheet& sheet = *first_sheet(o.project(), find_piece(o.project(), ring)->stock);
  const Box mat = o.project().machine.usable_area(), whole = sheet.seen();  // as drawn, the window moves nothing
  const Box usable{std::max(mat.x0, whole.x0), std::max(mat.y0, whole.y0), std::min(mat.x1, whole.x1),
                   std::min(mat.y1, whole.y1)};
  const DrawnPiece* drawn = find_drawn(o.session().drawing(), ring);
  const Vec corner = drawn->map({made()->room.x0, made()->room.y0});
  CHECK(distance(corner, {usable.x0, usable.y0}) < 1e-6);
  CHECK(usable.grown(0.01).contains(drawn->bounds));
  const std::size_t full = made()->count;
  CHECK(full == static_cast<std::size_t>((usable.width() - 60) / 62) + 1);
  run(o, "zoom-fit");
  pull(StepHandle::What::wide, {-60, 0});
  CHECK(made()->room.width() == Approx(usable.width() - 120).margin(4 / o.bench().view().px_per_mm));
  CHECK(made()->count < full);
  const Vec middle = find_drawn(o.session().drawing(), ring)->map(made()->room.centre());
  CHECK(distance(middle, usable.centre()) < 1e-6);

  // Handles are there for what is last in the recipe.
  run(o, "step-rotate");
  CHECK(step_handles(o.project(), o.session().drawing(), ring).empty());
}

TEST_CASE("allowance and stitch line of fabric are dragged on the bench") {
  Opened o;
  run(o, "shape-ring");
  const int ring = o.session().selectedPieces().front();
  run(o, "step-applique");
  o.session().settle();
  CHECK(step_handles(o.project(), o.session().drawing(), ring).empty());  // a raw edge has neither
  auto* edge = field<QComboBox>(o, "edge");
  choose(edge, edge->findData(QStringLiteral("turned")));
  o.session().settle();
  auto* stitch = field<NumberField>(o, "stitch");
  stitch->editor()->setFocus();
  stitch->editor()->selectAll();
  QTest::keyClicks(stitch->editor(), QStringLiteral("3"));
  QTest::keyClick(stitch->editor(), Qt::Key_Return);
  o.session().settle();
  run(o, "zoom-selection");
  const double px = 1 / o.bench().view().px_per_mm;
  const auto value = [&](const char* key) {
    return Reading(*find_kind(step_kinds(), "applique"), find_piece(o.project(), ring)->steps.back().values)
        .number(key);
  };
  const auto pull = [&](StepHandle::What what, double by) {
    for (const auto& h : step_handles(o.project(), o.session().drawing(), ring)) {
      if (h.what != what) continue;
      drag(&o.bench(), o.at(h.at.x, h.at.y), o.at(h.at.x + by, h.at.y));
      o.session().settle();
      return;
    }
    FAIL("no such handle");
  };
  const double width = find_drawn(o.session().drawing(), ring)->bounds.width();
  pull(StepHandle::What::allowance, 4);
  CHECK(value("allowance") == Approx(10).margin(2 * px));
  CHECK(find_drawn(o.session().drawing(), ring)->bounds.width() == Approx(width + 8).margin(4 * px));
  pull(StepHandle::What::stitch, -2);
  CHECK(value("stitch") == Approx(5).margin(2 * px));
  run(o, "undo");
  CHECK(value("stitch") == 3);
}

TEST_CASE("how far fabric runs under its neighbour is dragged on the bench") {
  Opened o(new_project("fabric"));
  run(o, "shape-rectangle");
  const int below = o.session().selectedPieces().front();
  run(o, "step-applique");
  run(o, "shape-heart");
  o.session().settle();
  o.pick({{below, ""}});
  run(o, "zoom-selection");
  const auto underlap = [&] {
    return Reading(*find_kind(step_kinds(), "applique"), find_piece(o.project(), below)->steps.back().values)
        .number("underlap");
  };
  const auto handle = [&] {
    const auto all = step_handles(o.project(), o.session().drawing(), below);
    REQUIRE(all.size() == 1);
    CHECK(all[0].what == StepHandle::What::underlap);
    CHECK(distance(all[0].at, all[0].origin) == Approx(underlap()).margin(0.05));
    return all[0];
  };
  const double px = 1 / o.bench().view().px_per_mm;
  const StepHandle before = handle();
  const Vec to = before.at + before.unit * 4.0;
  drag(&o.bench(), o.at(before.at.x, before.at.y), o.at(to.x, to.y));
  o.session().settle();
  CHECK(underlap() == Approx(7).margin(2 * px));
  handle();
  run(o, "undo");
  o.session().settle();
  CHECK(underlap() == 3);
}

TEST_CASE("a placement template is made of what is selected, by its keys") {
  Opened o(demo(QStringLiteral("fish-pennant")));
  o.session().settle();
  run(o, "select-all");
  const std::size_t pieces = o.project().pieces.size();
  run(o, "placement-template");
  o.session().settle();
  REQUIRE(o.project().pieces.size() == pieces + 1);
  const int made = o.project().pieces.back()->id;
  CHECK(o.session().selectedPieces() == std::vector<int>{made});
  CHECK(find_drawn(o.session().drawing(), made)->piece->lines.size() == 2);
  run(o, "undo");
  CHECK(o.project().pieces.size() == pieces);
}

TEST_CASE("one copy of many is clicked, dragged and nudged by itself") {
  Opened o;
  run(o, "shape-ring");
  const int ring = o.session().selectedPieces().front();
  run(o, "step-repeat");
  o.session().settle();
  run(o, "zoom-selection");
  const auto boxes = [&] { return find_drawn(o.session().drawing(), ring)->line_bounds; };
  const auto before = boxes();
  REQUIRE(before.size() == 3);
  // On its rim, for a click is meant for a line.
  const auto rim = [&](std::size_t i) { return o.at(boxes()[i].x0, boxes()[i].centre().y); };
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, rim(1));
  REQUIRE(o.session().selection().size() == 1);
  REQUIRE_FALSE(o.session().selection().front().line.empty());
  drag(&o.bench(), rim(1), rim(1) + QPoint(0, 40));
  o.session().settle();
  const double down = 40 / o.bench().view().px_per_mm;
  CHECK(boxes()[1].y0 == Approx(before[1].y0 + down).margin(0.01));
  CHECK(boxes()[0] == before[0]);
  CHECK(boxes()[2] == before[2]);
  QTest::keyClick(&o.bench(), Qt::Key_Right);
  o.session().settle();
  CHECK(boxes()[1].x0 > before[1].x0 + 0.05);
  CHECK(boxes()[0] == before[0]);
  run(o, "undo"), run(o, "undo");
  CHECK(boxes() == before);
}

TEST_CASE("bridges are dragged, set, let go and taken away on the bench") {
  Opened o;
  run(o, "shape-ring");
  const int ring = o.session().selectedPieces().front();
  run(o, "step-bridge");
  o.session().settle();
  run(o, "zoom-selection");
  const auto handles = [&] { return step_handles(o.project(), o.session().drawing(), ring); };
  const auto set = [&] {
    std::vector<Vec> out;
    for (const auto& h : handles()) {
      if (h.set) out.push_back(h.at);
    }
    return out;
  };
  const auto click = [&](Vec at) {
    QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(at.x, at.y));
    o.session().settle();
  };
  REQUIRE(handles().size() == 2);
  const Vec middle = find_drawn(o.session().drawing(), ring)->bounds.centre(), first = handles()[0].at;
  const double r = distance(first, middle), px = 1 / o.bench().view().px_per_mm;
  CHECK(std::abs(first.x - middle.x) < 0.01);

  // Dragged to the left it stands there across the ring; one undo puts it back.
  const Vec left = middle - Vec{r, 0};
  drag(&o.bench(), o.at(first.x, first.y), o.at(left.x, left.y));
  o.session().settle();
  REQUIRE(set().size() == 1);
  CHECK(distance(set()[0], left) < 2 * px);
  CHECK(o.session().selectedPieces() == std::vector<int>{ring});
  run(o, "undo");
  CHECK(set().empty());
  run(o, "redo");
  o.session().settle();
  // A click lets it go, a click on one that was found sets it.
  click(set()[0]);
  CHECK(set().empty());
  click(handles()[0].at);
  CHECK(set().size() == 1);
  click(set()[0]);

  // From the recipe: clicks set bridges across the opening and take away those that are there.
  QTest::mouseClick(field<QPushButton>(o, "set"), Qt::LeftButton);
  REQUIRE(o.bench().picking() == Picking::places);
  click(left);
  REQUIRE(set().size() == 1);
  CHECK(field<QPushButton>(o, "set")->text().simplified().contains(QStringLiteral("1 place")));
  click(set()[0]);
  CHECK(set().empty());
  click(handles()[0].at);
  CHECK(handles().size() == 1);
  CHECK(field<QPushButton>(o, "none")->text().simplified().contains(QStringLiteral("1 place")));
  click(first);
  CHECK(handles().size() == 2);
  QTest::keyClick(&o.bench(), Qt::Key_Escape);
  CHECK(o.bench().picking() == Picking::none);
  // What falls out is kept: two halves of the ring, alike.
  const std::size_t shelf = o.project().shelf.size();
  run(o, "keep-fall-outs");
  o.session().settle();
  REQUIRE(o.project().shelf.size() == shelf + 1);
  CHECK(o.project().shelf.back().count == 2);
  run(o, "undo");
  // The keys do as much, where the recipe ends with bridges.
  run(o, "pick-places");
  CHECK(o.bench().picking() == Picking::places);
  run(o, "pick-places");
  CHECK(o.bench().picking() == Picking::none);
  run(o, "step-rotate");
  CHECK_FALSE(o.window.actions().find(QStringLiteral("pick-places"))->isEnabled());
}

TEST_CASE("typing a step's number is one undo entry, and Escape keeps the last good one") {
  Opened o;
  o.pick({{id_of(o, "Lighthouse"), ""}});
  run(o, "step-offset");
  auto* by = field<NumberField>(o, "by");
  by->editor()->setFocus();
  by->editor()->selectAll();
  QTest::keyClicks(by->editor(), QStringLiteral("12"));
  CHECK(std::get<double>(o.piece("Lighthouse").steps.back().values.at("by")) == 12);
  QTest::keyClicks(by->editor(), QStringLiteral("x"));
  CHECK(std::get<double>(o.piece("Lighthouse").steps.back().values.at("by")) == 12);
  QTest::keyClick(by->editor(), Qt::Key_Return);
  run(o, "undo");
  CHECK(o.piece("Lighthouse").steps.back().values.empty());
}

TEST_CASE("a ready shape is made, sized by its own numbers, saved and opened again") {
  Opened o;
  run(o, "shape-folding-card");
  const int id = o.session().selectedPieces().front();
  CHECK(o.bounds("Folding card").width() == Approx(210));
  // Its fold is scored and its outline cut, each with a tool.
  const DrawnPiece* drawn = find_drawn(o.session().drawing(), id);
  REQUIRE(drawn->piece->lines.size() == 2);
  CHECK(drawn->piece->lines[1].role == Role::score);
  CHECK_FALSE(drawn->piece->lines[1].tool.empty());
  type(field<NumberField>(o, "width"), "120");
  CHECK(o.bounds("Folding card").width() == Approx(240));
  auto* folds = field<QComboBox>(o, "folds");
  choose(folds, folds->findData(QStringLiteral("two")));
  CHECK(find_drawn(o.session().drawing(), id)->piece->lines.size() == 3);
  CHECK(o.bounds("Folding card").width() == Approx(360));
  // Too wide for the mat now: the findings say so.
  o.session().settle();
  const auto& findings = o.session().derived().findings;
  CHECK(std::any_of(findings.begin(), findings.end(), [](const Finding& f) { return f.code == "off-mat"; }));
  // The size field sizes the card, not its picture.
  type(o.find<NumberField>("widthField"), "270");
  CHECK(std::get<double>(o.piece("Folding card").source.values.at("width")) == Approx(90));
  QTemporaryDir dir;
  o.answers.save = dir.filePath(QStringLiteral("card.dotlane"));
  run(o, "save-as");
  const Project saved = o.project();
  const auto read = load_project(o.answers.save.toStdString());
  REQUIRE(read);
  CHECK(*read == saved);
}

TEST_CASE("pieces combine from the panel, and what shapes another is not removed unasked") {
  Opened o;
  const int tower = id_of(o, "Lighthouse"), cliff = id_of(o, "Cliff");
  o.put(move_pieces(o.project(), {cliff}, {-120, -20}));
  o.pick({{tower, ""}, {cliff, ""}});
  o.session().settle();
  o.click("recipe-combine-cut-away");
  CHECK(o.session().selectedPieces() == std::vector<int>{cliff});
  CHECK(inputs_of(o.piece("Cliff").steps.back()) == std::vector<int>{tower});
  // The other way round would be a circle.
  o.pick({{tower, ""}});
  const auto circular = add_step(
      o.project(), tower, Step{0, "join", true, {{"with", std::vector<double>{static_cast<double>(cliff)}}}, {}, {}});
  CHECK_FALSE(circular);
  run(o, "delete");
  auto* notice = o.window.findChild<Notice*>();
  CHECK(notice->message().contains(QStringLiteral("Cliff")));
  CHECK(o.project().pieces.size() == 5);
  QPushButton* keep = nullptr;
  for (auto* b : notice->findChildren<QPushButton*>()) {
    if (b->text().contains(QStringLiteral("freeze"))) keep = b;
  }
  REQUIRE(keep);
  const Box shape = o.bounds("Cliff");
  QTest::mouseClick(keep, Qt::LeftButton);
  o.session().settle();
  CHECK(o.project().pieces.size() == 4);
  CHECK(o.piece("Cliff").plain());
  CHECK(o.bounds("Cliff").width() == Approx(shape.width()).margin(0.001));
}

TEST_CASE("an outline behind follows the piece it is made of") {
  Opened o;
  o.pick({{id_of(o, "Lighthouse"), ""}});
  run(o, "outline-behind");
  const Box tower = o.bounds("Lighthouse"), behind = o.bounds("Lighthouse, behind");
  CHECK(behind.width() == Approx(tower.width() + 6).margin(0.01));
  o.put(move_pieces(o.project(), {id_of(o, "Lighthouse")}, {12, 0}));
  CHECK(o.bounds("Lighthouse, behind").x0 == Approx(behind.x0 + 12));
  o.session().size({id_of(o, "Lighthouse")}, {60.0, std::nullopt}, {});
  o.session().settle();
  CHECK(o.bounds("Lighthouse, behind").width() == Approx(66).margin(0.01));
  // It can lie elsewhere all the same, to be cut from another corner of the sheet.
  const Box now = o.bounds("Lighthouse, behind");
  o.put(move_pieces(o.project(), {id_of(o, "Lighthouse, behind")}, {30, 5}));
  CHECK(o.bounds("Lighthouse, behind").x0 == Approx(now.x0 + 30));
}

TEST_CASE("groups are picked as one, a double click reaches inside") {
  Opened o;
  const int cliff = id_of(o, "Cliff"), wave = id_of(o, "Wave border");
  o.pick({{cliff, ""}, {wave, ""}});
  run(o, "group");
  CHECK(o.piece("Cliff").group == "Group");
  o.pick(std::vector<LineRef>{});
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(o.bounds("Cliff").centre().x, o.bounds("Cliff").centre().y));
  CHECK(o.session().selectedPieces() == std::vector<int>{wave, cliff});
  QTest::mouseDClick(&o.bench(), Qt::LeftButton, {}, o.at(o.bounds("Cliff").centre().x, o.bounds("Cliff").centre().y));
  CHECK(o.session().selectedPieces() == std::vector<int>{cliff});
  run(o, "ungroup");
  CHECK(o.piece("Wave border").group.empty());
}

TEST_CASE("pieces are aligned and spread evenly from the panel") {
  Opened o;
  std::vector<LineRef> three;
  for (const char* name : {"Cliff", "Wave border", "Lighthouse"}) three.push_back({id_of(o, name), ""});
  o.pick(three);
  o.session().settle();
  o.click("recipe-align-bottom");
  CHECK(o.bounds("Cliff").y1 == Approx(o.bounds("Lighthouse").y1));
  CHECK(o.bounds("Wave border").y1 == Approx(o.bounds("Lighthouse").y1));
  o.click("recipe-distribute-across");
  std::vector<Box> boxes{o.bounds("Cliff"), o.bounds("Wave border"), o.bounds("Lighthouse")};
  std::sort(boxes.begin(), boxes.end(), [](const Box& a, const Box& b) { return a.centre().x < b.centre().x; });
  CHECK(boxes[1].x0 - boxes[0].x1 == Approx(boxes[2].x0 - boxes[1].x1));
}

TEST_CASE("a contour is left out by an Alt click and kept alone by another") {
  Opened o;
  const int tower = id_of(o, "Lighthouse");
  o.pick({{tower, ""}});
  const auto contours = [&] {
    std::size_t n = 0;
    for (const auto& line : find_drawn(o.session().drawing(), tower)->piece->lines) n += line.path->contours.size();
    return n;
  };
  const std::size_t before = contours();
  o.bench().zoomToSelection();
  o.bench().finishPainting();
  const Vec on_lamp = o.piece("Lighthouse").placement(Vec{92, 156});
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::AltModifier, o.at(on_lamp.x, on_lamp.y));
  CHECK(contours() == before - 1);
  CHECK(o.piece("Lighthouse").steps.back().kind == "drop-contours");
  run(o, "undo");
  CHECK(contours() == before);
}

TEST_CASE("a picture is brought in, traced, and traced again with another threshold") {
  Opened o;
  QTemporaryDir dir;
  QImage image(200, 120, QImage::Format_RGB32);
  image.fill(Qt::white);
  QPainter p(&image);
  p.fillRect(20, 20, 80, 80, QColor(0, 0, 0));
  p.fillRect(120, 20, 60, 80, QColor(150, 150, 150));
  p.end();
  const QString file = dir.filePath(QStringLiteral("two-squares.png"));
  REQUIRE(image.save(file));
  o.window.take({file});
  o.session().settle();
  const Piece& piece = o.piece("two squares");
  CHECK(piece.source.kind == "picture");
  // 80 mm wide for 200 px: the dark square measures 32 mm.
  CHECK(o.bounds("two squares").width() == Approx(32).margin(0.4));
  type(field<NumberField>(o, "threshold"), "80");
  o.session().settle();
  CHECK(o.bounds("two squares").width() == Approx(64).margin(0.4));
  CHECK_FALSE(o.session().stale());
  // A scanner's resolution says how large it is: 200 px at 300 per inch are 16.93 mm.
  const QString scan = dir.filePath(QStringLiteral("a-scan.png"));
  image.setDotsPerMeterX(11811);
  image.setDotsPerMeterY(11811);
  REQUIRE(image.save(scan));
  o.window.take({scan});
  o.session().settle();
  CHECK(o.bounds("a scan").width() == Approx(6.77).margin(0.1));
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("a-scan.png is 16.9")));
  // A damaged picture is refused with its name.
  QFile broken(dir.filePath(QStringLiteral("broken.png")));
  REQUIRE(broken.open(QIODevice::WriteOnly));
  broken.write("\x89PNG\r\n\x1a\nnot a picture");
  broken.close();
  o.window.take({broken.fileName()});
  o.session().settle();
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("broken.png")));
}

TEST_CASE("colours are picked on the picture by clicks, and left out by another") {
  Opened o;
  QTemporaryDir dir;
  QImage image(200, 120, QImage::Format_RGB32);
  image.fill(QColor(240, 236, 220));
  QPainter p(&image);
  p.fillRect(20, 20, 60, 80, QColor(190, 40, 40));
  p.fillRect(120, 20, 60, 80, QColor(40, 60, 170));
  p.end();
  const QString file = dir.filePath(QStringLiteral("two-flags.png"));
  REQUIRE(image.save(file));
  o.window.take({file});
  o.session().settle();
  const auto values = [&] { return o.piece("two flags").source.values; };
  const auto click = [&](int x, int y) {
    auto* frame = o.window.findChild<CropFrame*>();
    REQUIRE(frame);
    const QPoint at(x * frame->width() / 200, y * frame->height() / 120);
    QTest::mouseClick(frame, Qt::LeftButton, {}, at);
    o.session().settle();
  };
  // Dark on light has no colours to pick.
  click(50, 60);
  CHECK(values().empty());
  auto* colors = field<QComboBox>(o, "colors");
  colors->setFocus();
  QTest::keyClick(colors, Qt::Key_Down);
  o.session().settle();
  REQUIRE(std::get<std::string>(values().at("colors")) == "several");
  click(50, 60);
  CHECK(std::get<std::string>(values().at("colors")) == "given");
  CHECK(std::get<std::string>(values().at("palette")) == "#be2828");
  click(150, 60);
  click(5, 5);
  CHECK(std::get<std::string>(values().at("palette")) == "#be2828 #283caa #f0ecdc");
  CHECK(field<QLineEdit>(o, "palette")->text() == QStringLiteral("#be2828 #283caa #f0ecdc"));
  click(60, 40);  // red again, at another place
  CHECK(std::get<std::string>(values().at("palette")) == "#283caa #f0ecdc");
  run(o, "undo");
  CHECK(std::get<std::string>(values().at("palette")) == "#be2828 #283caa #f0ecdc");
  // The colours lie below the picture; a click on one leaves it out.
  const auto swatch = [&](int index) {
    auto* frame = o.window.findChild<CropFrame*>();
    QTest::mouseClick(frame, Qt::LeftButton, {}, QPoint(8 + 21 * index, frame->height() - 10));
    o.session().settle();
  };
  swatch(1);
  CHECK(std::get<std::string>(values().at("palette")) == "#be2828 #f0ecdc");
  swatch(5);  // there is none
  CHECK(std::get<std::string>(values().at("palette")) == "#be2828 #f0ecdc");
  run(o, "undo");
  // A drag is none.
  auto* frame = o.window.findChild<CropFrame*>();
  const int lower = frame->width() * 120 / 200 - 2;
  drag(frame, {frame->width() / 2, lower}, {frame->width() / 2, lower / 2});
  o.session().settle();
  CHECK(std::get<std::string>(values().at("palette")) == "#be2828 #283caa #f0ecdc");
  CHECK(std::get<double>(values().at("crop-bottom")) > 20);
}

TEST_CASE("the stall opens with its recipes, trims under, and goes back to full layers") {
  Opened o(stall());
  CHECK(o.project().pieces.size() == 9);
  for (const auto& piece : o.session().drawing().pieces) {
    for (const auto& outcome : piece->outcomes) CHECK(outcome.trouble.empty());
  }
  const double before = o.bounds("Badge star").width();
  o.pick(std::vector<LineRef>{});
  run(o, "untrim");
  for (const auto& piece : o.project().pieces) {
    for (const auto& step : piece->steps) CHECK(step.kind != "trim-under");
  }
  run(o, "trim");
  o.session().settle();
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("saved")));
  CHECK(o.bounds("Badge star").width() == Approx(before));
  run(o, "stacked");
  CHECK(o.bench().stacked());
  run(o, "show-hidden");
  CHECK_FALSE(o.bench().hiddenShown());
  o.bench().finishPainting();
  run(o, "undo");
  run(o, "undo");
  const auto again = load_project(DOTLANE_DEMO "/fair-stall.dotlane");
  REQUIRE(again);
  CHECK(to_json(o.project()) == to_json(*again));
}

TEST_CASE("a heavy recipe never holds the window up") {
  Opened o;
  // A saw of 3,000 teeth: more than is worked out at once.
  Artwork art;
  art.unit_source = UnitSource::stated;
  art.width_mm = art.height_mm = 300;
  ArtLine line;
  line.id = "saw";
  line.stroke = Color{0, 0, 0};
  Contour c;
  c.start = {20, 20};
  for (int i = 1; i < 6000; ++i) c.segments.push_back(Segment::line({20 + i / 30.0, 20 + (i % 2) * 0.3}));
  c.segments.push_back(Segment::line({220, 60}));
  c.segments.push_back(Segment::line({20, 60}));
  c.segments.push_back(Segment::line(c.start));
  c.closed = true;
  line.path.contours.push_back(std::move(c));
  art.lines.push_back(std::move(line));
  int id = 0;
  o.put(add_artwork(o.project(), art, "saw.svg", &id));
  o.session().settle();
  o.pick({{id, ""}});
  o.run("step-offset", false);
  CHECK(o.session().stale());  // the old outline is shown meanwhile
  o.session().settle();
  CHECK_FALSE(o.session().stale());
  CHECK(find_drawn(o.session().drawing(), id)->bounds.width() == Approx(206).margin(0.5));
}

TEST_CASE("near-equal colours are listed with their difference and united in one action") {
  Opened o(QString{});
  const auto art = read_svg(
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="100mm" height="100mm" viewBox="0 0 100 100" fill="none">
      <rect id="a" width="20" height="20" stroke="#204060"/><rect id="b" x="30" width="20" height="20" stroke="#204060"/>
      <rect id="c" x="60" width="20" height="20" stroke="#224161"/><rect id="d" y="40" width="20" height="20" stroke="#c04020"/></svg>)",
      "colours.svg");
  REQUIRE(art);
  int id = 0;
  o.put(add_artwork(o.project(), *art, "colours.svg", &id));
  o.pick({{id, ""}});
  run(o, "unite-colors");
  auto* notice = o.window.findChild<Notice*>();
  CHECK(notice->message().contains(QStringLiteral("#224161")));
  for (auto* b : notice->findChildren<QPushButton*>()) {
    if (b->text() == QStringLiteral("Unite them")) QTest::mouseClick(b, Qt::LeftButton);
  }
  CHECK(lines_of_color(o.session().drawing(), {0x20, 0x40, 0x60}).size() == 3);
  run(o, "colors-to-stock");
  CHECK(o.project().pieces.size() == 2);
  CHECK(o.project().pieces[0]->stock != o.project().pieces[1]->stock);
}

TEST_CASE("trimming changes nothing that is seen when the layers lie on each other") {
  const auto full = load_project(DOTLANE_DEMO "/fair-stall.dotlane");
  REQUIRE(full);
  // The outlines themselves are left out: what counts is which card is seen where.
  auto picture = [](const Project& project) {
    DrawingCache cache;
    Drawing drawing = evaluate(project, cache);
    QImage image(1200, 1200, QImage::Format_RGB32);
    image.fill(Qt::gray);
    QPainter p(&image);
    View view;
    view.px_per_mm = 4;
    LineOptions options;
    options.stacked = true;
    options.hidden = false;
    options.strength = 1;
    Project bare = project;
    paint_lines(p, view, bare, drawing, light_theme(), options);
    return image;
  };
  const QImage trimmed = picture(trim_under(*full, {}, 1.0)), whole = picture(untrim(*full, {}));
  int different = 0;
  for (int y = 0; y < whole.height(); ++y) {
    for (int x = 0; x < whole.width(); ++x) {
      const QRgb a = trimmed.pixel(x, y), b = whole.pixel(x, y);
      different += std::abs(qRed(a) - qRed(b)) + std::abs(qGreen(a) - qGreen(b)) + std::abs(qBlue(a) - qBlue(b)) > 90;
    }
  }
  // Outlines smoothed against another neighbour differ by a pixel here and there.
  CHECK(different < 400);
}

TEST_CASE("a number is dragged by its unit, in one undo entry") {
  Opened o;
  o.pick({{id_of(o, "Cliff"), ""}});
  run(o, "step-offset");
  auto* by = field<NumberField>(o, "by");
  QLabel* unit = nullptr;
  for (auto* label : by->findChildren<QLabel*>()) unit = label;
  REQUIRE(unit);
  const QPoint at(5, 5);
  QTest::mousePress(unit, Qt::LeftButton, {}, at);
  for (int i = 1; i <= 20; ++i) QTest::mouseMove(unit, at + QPoint(i, 0));
  QTest::mouseRelease(unit, Qt::LeftButton, {}, at + QPoint(20, 0));
  CHECK(std::get<double>(o.piece("Cliff").steps.back().values.at("by")) == Approx(5));
  run(o, "undo");
  CHECK(o.piece("Cliff").steps.back().values.empty());
}

TEST_CASE("from which sizes on second look speaks up is set beside the findings") {
  Opened o;
  o.window.showSecondLook(true);
  type(o.find<NumberField>("tinyLimit"), "5000");
  o.session().settle();
  const auto& findings = o.session().derived().findings;
  CHECK(std::any_of(findings.begin(), findings.end(), [](const Finding& f) { return f.code == "tiny-bits"; }));
  CHECK(o.project().checks.tiny_mm2 == 5000);
}

TEST_CASE("every step can be added from the menu, shows its values, and is undone") {
  Opened o;
  const int tower = id_of(o, "Lighthouse");
  for (const auto& kind : step_kinds()) {
    if (kind.kind == "leave-out") continue;
    INFO(kind.kind);
    o.pick({{tower, ""}});
    o.session().settle();
    auto* button = o.find<QPushButton>("addStep");
    o.click_entry(button,
                  [&](const QAction* a) { return a->objectName() == QStringLiteral("menu-step-") + qs(kind.kind); });
    o.session().settle();
    REQUIRE(o.piece("Lighthouse").steps.size() == 1);
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    // Each value has a field that can be seen, named for those who cannot see it.
    for (const auto& value : kind.values) {
      INFO(value.key);
      if (!applies(value, Reading(kind, {}))) continue;
      QWidget* shown = nullptr;
      for (auto* w : o.window.findChildren<QWidget*>(QStringLiteral("value-") + qs(value.key))) {
        if (w->isVisibleTo(&o.window)) shown = w;
      }
      REQUIRE(shown);
      if (value.type != ValueType::spots) CHECK_FALSE(shown->accessibleName().isEmpty());
    }
    run(o, "undo");
    CHECK(o.piece("Lighthouse").steps.empty());
  }
}

TEST_CASE("every ready shape is made from the menu, drawn, planned and undone") {
  Opened o;
  const std::size_t before = o.project().pieces.size();
  for (const auto& kind : shape_kinds()) {
    if (kind.kind == "picture" || kind.kind == "pieces" || kind.kind == "lettering") continue;
    INFO(kind.kind);
    QTest::mouseClick(o.find<QPushButton>("newShape"), Qt::LeftButton);
    auto* list = o.find<QListWidget>("shapeList");
    REQUIRE(list->isVisible());
    const auto entries = list->findItems(qs(kind.label), Qt::MatchExactly);
    REQUIRE(entries.size() == 1);
    QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualItemRect(entries.front()).center());
    CHECK_FALSE(list->isVisible());
    o.window.activateWindow();  // as a window manager does when a popup is gone
    o.session().settle();
    REQUIRE(o.project().pieces.size() == before + 1);
    const Piece& made = *o.project().pieces.front();
    CHECK(made.source.kind == kind.kind);
    CHECK(o.session().selectedPieces() == std::vector<int>{made.id});
    for (const auto& outcome : find_drawn(o.session().drawing(), made.id)->outcomes) CHECK(outcome.trouble.empty());
    o.bench().finishPainting();
    run(o, "undo");
    CHECK(o.project().pieces.size() == before);
  }
}

TEST_CASE("a two-stroke shortcut makes a shape") {
  Opened o;
  const std::size_t before = o.project().pieces.size();
  const QKeySequence keys = o.window.actions().find(QStringLiteral("shape-heart"))->shortcut();
  REQUIRE(keys.count() == 2);
  QTest::keySequence(&o.window, keys);
  o.session().settle();
  CHECK(o.project().pieces.size() == before + 1);
}

TEST_CASE("the ledger shows made lines, and their roles are changed there and kept") {
  Opened o;
  const int cliff = id_of(o, "Cliff");
  o.pick({{cliff, ""}});
  run(o, "step-offset");
  auto* original = field<QComboBox>(o, "original");
  choose(original, original->findData(QStringLiteral("keep")));
  o.session().settle();
  const int step = o.piece("Cliff").steps.back().id;
  const std::string made = "rock~" + std::to_string(step);
  o.pick({{cliff, made}});
  o.session().settle();
  CHECK(o.session().selection() == std::vector<LineRef>{{cliff, made}});
  o.click("role-foil");
  const DrawnPiece* drawn = find_drawn(o.session().drawing(), cliff);
  const auto line =
      std::find_if(drawn->piece->lines.begin(), drawn->piece->lines.end(), [&](const Line& l) { return l.id == made; });
  REQUIRE(line != drawn->piece->lines.end());
  CHECK(line->role == Role::foil);
  CHECK(serves(*find_tool(o.project(), line->tool), Role::foil));
  // It is in the plan as well.
  const auto& passes = o.session().derived().plan.passes;
  CHECK(std::any_of(passes.begin(), passes.end(), [&](const Pass& p) {
    return p.role == Role::foil &&
           std::any_of(p.strokes.begin(), p.strokes.end(), [&](const Stroke& s) { return s.piece == cliff; });
  }));
}

TEST_CASE("a recipe is run on the cutter as it was drawn") {
  Opened o(stall());
  QTemporaryDir dir;
  o.answers.save = dir.filePath(QStringLiteral("stall.svg"));
  run(o, "export");
  o.session().settle();
  wait_for([&] { return QFileInfo::exists(o.answers.save); });
  QFile file(o.answers.save);
  REQUIRE(file.open(QIODevice::ReadOnly));
  const auto art = read_svg(file.readAll().toStdString(), "stall.svg");
  REQUIRE(art);
  // Every line that is run is in the file once, at its true length.
  double drawn = 0, written = 0;
  for (const auto& piece : o.session().drawing().pieces) {
    for (const auto& line : piece->piece->lines) {
      if (runs(line.role)) drawn += length_of(transformed(*line.path, piece->map));
    }
  }
  for (const auto& line : art->lines) {
    if (line.stroke && line.layer.find("not run") == std::string::npos) written += length_of(line.path);
  }
  CHECK(written == Approx(drawn).epsilon(1e-4));
}

}  // namespace dotlane::test
