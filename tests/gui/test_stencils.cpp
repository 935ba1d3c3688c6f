// Stencils for paint in the real window.
#include <QApplication>
#include <QDialog>
#include <QImage>
#include <QLineEdit>
#include <QPushButton>
#include <QTimer>

#include "app/style.hpp"
#include "core/shape/paint_layers.hpp"
#include "driving.hpp"

namespace dotlane::test {

TEST_CASE("stencils for painting in layers are made of what is selected, seen painted, and repainted by their field") {
  Opened o(new_project("plain"));
  run(o, "shape-ellipse");
  const int disc = o.session().selectedPieces().front();
  o.session().settle();
  run(o, "shape-star");
  run(o, "select-all");
  run(o, "paint-layers");
  o.session().settle();
  REQUIRE(o.project().pieces.size() == 4);
  CHECK(find_piece(o.project(), disc)->helper);
  const int first = o.session().selectedPieces().front();
  CHECK(find_piece(o.project(), first)->name == "Layer 1, Ellipse");
  const auto paint = [&](int id) { return *paint_of(*find_drawn(o.session().drawing(), id)); };
  CHECK_FALSE(paint(first) == paint(first + 1));
  // Another paint, by the field of its step.
  const auto answer = [&] {
    auto* dialog = qobject_cast<QDialog*>(QApplication::activeModalWidget());
    REQUIRE(dialog);
    QLineEdit* code = nullptr;
    for (auto* edit : dialog->findChildren<QLineEdit*>()) {
      if (edit->text().startsWith(QLatin1Char('#'))) code = edit;
    }
    REQUIRE(code);
    code->setFocus();
    QTest::keyClick(code, Qt::Key_A, Qt::ControlModifier);
    QTest::keyClicks(code, QStringLiteral("#8020c0"));
    QTest::keyClick(code, Qt::Key_Return);
  };
  QTimer::singleShot(200, answer);
  o.click("value-paint");
  o.session().settle();
  CHECK(hex(paint(first)) == "#8020c0");
  run(o, "undo");
  o.session().settle();
  CHECK_FALSE(hex(paint(first)) == "#8020c0");
  run(o, "redo");
  o.session().settle();
  // Seen as it will be painted: the disc's paint beside the star, the star's in the middle.
  run(o, "stacked");
  run(o, "zoom-fit");
  const auto count = [&](Color color) {
    const QImage image = o.bench().grab().toImage();
    int n = 0;
    for (int y = 0; y < image.height(); y += 2) {
      for (int x = 0; x < image.width(); x += 2) n += to_color(QColor(image.pixel(x, y))) == color ? 1 : 0;
    }
    return n;
  };
  CHECK(count({0x80, 0x20, 0xc0}) > 500);
  CHECK(count(paint(first + 1)) > 500);
}

}  // namespace dotlane::test
