// Copying in the real window: within a project, between windows, to and from other programs, and on in the same way.
#include <QClipboard>
#include <QMimeData>
#include <QPainter>

#include "app/notice.hpp"
#include "core/format/svg_reader.hpp"
#include "driving.hpp"

namespace dotlane::test {

TEST_CASE("pieces are copied, pasted beside and in place, and cut, each undone as one step") {
  Opened o;
  const int house = o.piece("Lighthouse").id;
  const std::size_t pieces = o.project().pieces.size();
  const Box was = o.bounds("Lighthouse");
  o.pick({{house, ""}});
  QGuiApplication::clipboard()->clear();
  run(o, "copy");
  wait_for([] { return QGuiApplication::clipboard()->mimeData()->hasFormat("image/svg+xml"); });
  const auto pasted = [&] {
    REQUIRE(o.session().selectedPieces().size() == 1);
    return find_drawn(o.session().drawing(), o.session().selectedPieces().front())->bounds;
  };
  const auto paste = [&](const char* how, std::size_t then) {
    run(o, how);
    wait_for([&] { return o.project().pieces.size() == then; });
    o.session().settle();
    CHECK(o.project().pieces.size() == then);
  };
  paste("paste", pieces + 1);
  CHECK(pasted().x0 == Approx(was.x0 + 10));
  paste("paste", pieces + 2);
  CHECK(pasted().x0 == Approx(was.x0 + 20));
  paste("paste-in-place", pieces + 3);
  CHECK(pasted().x0 == Approx(was.x0));
  CHECK(pasted().y0 == Approx(was.y0));
  for (int i = 0; i < 3; ++i) o.undo();
  CHECK(o.project().pieces.size() == pieces);
  // Cut out, and back where it was.
  o.pick({{house, ""}});
  run(o, "cut");
  wait_for([&] { return o.project().pieces.size() == pieces - 1; });
  paste("paste-in-place", pieces);
  CHECK(pasted().x0 == Approx(was.x0));
  o.undo();
  o.undo();
  CHECK(find_piece(o.project(), house));
}

TEST_CASE("what one window copies another pastes, with its stocks, and other programs get and give SVG") {
  Opened one(demo(QStringLiteral("fish-pennant")));
  one.session().settle();
  QGuiApplication::clipboard()->clear();
  run(one, "select-all");
  run(one, "copy");
  wait_for([] { return QGuiApplication::clipboard()->mimeData()->hasFormat("image/svg+xml"); });
  {
    Opened two(new_project("other"));
    run(two, "paste");
    wait_for([&] { return !two.project().pieces.empty(); });
    two.session().settle();
    CHECK(two.project().pieces.size() == one.project().pieces.size());
    for (const auto& piece : two.project().pieces) CHECK(find_stock(two.project(), piece->stock));
    const Box a = two.session().drawing().bounds(), b = one.session().drawing().bounds();
    CHECK(a.width() == Approx(b.width()));
    CHECK(a.x0 == Approx(b.x0));
  }
  const QByteArray svg = QGuiApplication::clipboard()->mimeData()->data("image/svg+xml");
  const auto art = read_svg(std::string_view(svg.constData(), static_cast<std::size_t>(svg.size())), "copied.svg");
  REQUIRE(art);
  CHECK(art->lines.size() >= one.project().pieces.size());
  // From a drawing program, as text.
  QGuiApplication::clipboard()->setText(
      R"(<svg xmlns="http://www.w3.org/2000/svg" width="80mm" height="60mm" viewBox="0 0 80 60"><path id="kite" d="M10 10 h40 v30 z"/></svg>)");
  Opened three(new_project("third"));
  run(three, "paste");
  wait_for([&] { return three.project().pieces.size() == 1; });
  three.session().settle();
  CHECK(three.session().drawing().bounds().width() == Approx(40).margin(0.01));
  QGuiApplication::clipboard()->setText(QStringLiteral("  \n"));
  run(three, "paste");
  CHECK(three.window.findChild<Notice*>()->message().contains(QStringLiteral("nothing to paste")));
  CHECK(three.project().pieces.size() == 1);
}

TEST_CASE("words on the clipboard become lettering, a picture is traced, words dropped on the bench as well") {
  Opened o(new_project("pasted"));
  QGuiApplication::clipboard()->setText(QStringLiteral("Harbour\r\nLantern Fair\n"));
  run(o, "paste");
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 1);
  const Piece& words = *o.project().pieces.front();
  CHECK(words.source.kind == "lettering");
  CHECK(std::get<std::string>(words.source.values.at("text")) == "Harbour\nLantern Fair");
  CHECK(o.session().selectedPieces() == std::vector<int>{words.id});
  CHECK(find_drawn(o.session().drawing(), words.id)->piece->lines.front().path->contours.size() > 10);
  QImage disc(120, 120, QImage::Format_ARGB32);
  disc.fill(Qt::transparent);
  {
    QPainter painter(&disc);
    painter.setRenderHint(QPainter::Antialiasing);
    painter.setBrush(Qt::black);
    painter.drawEllipse(QRectF(20, 20, 80, 80));
  }
  QGuiApplication::clipboard()->setImage(disc);
  run(o, "paste");
  wait_for([&] { return o.project().pieces.size() == 2; });
  o.session().settle();
  const Piece& traced = *o.project().pieces.front();
  CHECK(traced.source.kind == "picture");
  CHECK(traced.name == "Pasted picture");
  const DrawnPiece* drawn = find_drawn(o.session().drawing(), traced.id);
  REQUIRE_FALSE(drawn->piece->lines.empty());
  CHECK(drawn->bounds.width() == Approx(drawn->bounds.height()).epsilon(0.02));
  QMimeData data;
  data.setText(QStringLiteral("Pier 7"));
  drop(&o.bench(), data);
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 3);
  CHECK(std::get<std::string>(o.project().pieces.front()->source.values.at("text")) == "Pier 7");
  for (int i = 0; i < 3; ++i) o.undo();
  CHECK(o.project().pieces.empty());
}

TEST_CASE("again repeats the last copy as it was moved") {
  Opened o(new_project("row"));
  run(o, "shape-star");
  const int first = o.session().selectedPieces().front();
  o.session().settle();
  run(o, "copy-again");
  CHECK(o.project().pieces.size() == 1);  // there is nothing to repeat yet
  run(o, "duplicate-in-place");
  o.session().settle();
  o.bench().setFocus();
  for (int i = 0; i < 4; ++i) QTest::keyClick(&o.bench(), Qt::Key_Right, Qt::ShiftModifier);
  o.session().settle();
  for (std::size_t n = 3; n <= 5; ++n) {
    run(o, "copy-again");
    wait_for([&] { return o.project().pieces.size() == n; });
    o.session().settle();
    const int now = o.session().selectedPieces().front();
    const Drawing& d = o.session().drawing();
    CHECK(find_drawn(d, now)->bounds.x0 ==
          Approx(find_drawn(d, first)->bounds.x0 + 40.0 * static_cast<double>(n - 1)).margin(1e-6));
  }
  o.undo();
  CHECK(o.project().pieces.size() == 4);
}

TEST_CASE("what was copied in one project is put whole into the next one that the window opens") {
  Opened o(new_project("first"));
  run(o, "shape-heart");
  run(o, "shape-star");
  o.session().settle();
  run(o, "select-all");
  run(o, "combine-cut-away");  // the heart, by the star
  o.session().settle();
  int heart = 0;
  for (const auto& piece : o.project().pieces) {
    if (!piece->steps.empty()) heart = piece->id;
  }
  REQUIRE(heart);
  const double area = find_drawn(o.session().drawing(), heart)->outcomes.back().area_mm2;
  o.pick({{heart, ""}});
  QGuiApplication::clipboard()->clear();
  run(o, "copy");
  wait_for([] { return QGuiApplication::clipboard()->mimeData()->hasFormat("image/svg+xml"); });
  run(o, "duplicate");
  run(o, "new");
  REQUIRE(o.project().pieces.empty());
  run(o, "shape-ring");  // has the id that the heart had
  o.session().settle();
  run(o, "copy-again");  // of the other project: nothing
  CHECK(o.project().pieces.size() == 1);
  run(o, "paste");
  wait_for([&] { return o.project().pieces.size() == 2; });
  o.session().settle();
  const int now = o.session().selectedPieces().front();
  CHECK(find_piece(o.project(), now)->steps.empty());
  const auto* drawn = find_drawn(o.session().drawing(), now);
  CHECK(area_of(region_of(*drawn->piece->lines[0].path)) == Approx(area).epsilon(0.001));
}

TEST_CASE("cutting a line takes that line, and pastes it alone") {
  Opened o;
  const int cliff = o.piece("Cliff").id;
  const std::size_t pieces = o.project().pieces.size(), lines = o.piece("Cliff").lines.size();
  REQUIRE(lines > 1);
  o.pick({{cliff, "ledges"}});
  run(o, "cut");
  wait_for([&] { return o.piece("Cliff").lines.size() == lines - 1; });
  run(o, "paste-in-place");
  wait_for([&] { return o.project().pieces.size() == pieces + 1; });
  o.session().settle();
  const Piece* pasted = find_piece(o.project(), o.session().selectedPieces().front());
  REQUIRE(pasted->lines.size() == 1);
  CHECK(pasted->lines[0].id == "ledges");
}

TEST_CASE("what is like the selection is selected by two keys") {
  Opened o(new_project("alike"));
  run(o, "shape-star");
  const int star = o.session().selectedPieces().front();
  run(o, "duplicate");
  const int copy = o.session().selectedPieces().front();
  run(o, "shape-heart");
  const int heart = o.session().selectedPieces().front();
  o.session().settle();
  o.pick({{star, ""}});
  run(o, "same-size");
  CHECK(o.session().selectedPieces().size() == 2);
  run(o, "select-others");
  CHECK(o.session().selectedPieces() == std::vector<int>{heart});
  run(o, "same-role");
  CHECK(o.session().selectedPieces().size() == 3);
  run(o, "same-stock");
  CHECK(o.session().selectedPieces().size() == 3);
  o.pick({{copy, ""}});
  run(o, "same-tool");
  CHECK(o.session().selectedPieces().size() == 3);
}

}  // namespace dotlane::test
