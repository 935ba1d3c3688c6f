// Painting: what must be told apart can be, what is mirrored is mirrored once, what was marked is shown.
#include "core/format/files.hpp"
#include "core/format/svg_reader.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"
#include "render/paint.hpp"
#include "render/role_style.hpp"
#include "render/sheet_export.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

Derived derived_of(const Project& project) {
  DrawingCache cache;
  return derive(project, cache);
}

Project the_demo() {
  auto project = load_project(demo().toStdString());
  REQUIRE(project);
  return *project;
}

/// The role's glyph in black on white: its shape alone.
QImage glyph(Role role) {
  QImage image(24, 24, QImage::Format_Grayscale8);
  image.fill(Qt::white);
  QPainter p(&image);
  paint_role_glyph(p, {12, 12}, role, Qt::black, 18);
  return image;
}

/// The role's line pattern in black on white.
QImage pattern(Role role) {
  QImage image(120, 12, QImage::Format_Grayscale8);
  image.fill(Qt::white);
  QPainter p(&image);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(role_pen(role, Qt::black));
  p.drawLine(4, 6, 116, 6);
  return image;
}

int difference(const QImage& a, const QImage& b) {
  int n = 0;
  for (int y = 0; y < a.height(); ++y) {
    for (int x = 0; x < a.width(); ++x) n += std::abs(qGray(a.pixel(x, y)) - qGray(b.pixel(x, y))) > 60;
  }
  return n;
}

}  // namespace

TEST_CASE("every role has a glyph of its own, without any colour") {
  for (const Role a : kRoles) {
    QImage blank = glyph(a);
    blank.fill(Qt::white);
    CHECK(difference(glyph(a), blank) > 20);
    for (const Role b : kRoles) {
      INFO(word(a) << " and " << word(b));
      if (a < b) CHECK(difference(glyph(a), glyph(b)) > 20);
    }
  }
}

TEST_CASE("roles that run have line patterns of their own, without any colour") {
  const Role run[] = {Role::cut, Role::score, Role::draw, Role::foil, Role::engrave};
  for (const Role a : run) {
    for (const Role b : run) {
      INFO(word(a) << " and " << word(b));
      if (a < b) CHECK(difference(pattern(a), pattern(b)) > 25);
    }
  }
}

TEST_CASE("text has the contrast that WCAG asks for, in light and dark") {
  for (const Theme* t : {&light_theme(), &dark_theme()}) {
    for (const QColor& ground : {t->ground, t->panel, t->field}) {
      CHECK(contrast(to_color(t->ink), to_color(ground)) >= 7);
      CHECK(contrast(to_color(t->quiet), to_color(ground)) >= 4.5);
      CHECK(contrast(to_color(t->accent), to_color(ground)) >= 4.5);
      CHECK(contrast(to_color(t->serious), to_color(ground)) >= 4.5);
    }
    CHECK(contrast(to_color(t->ink), to_color(t->hands_soft)) >= 7);
    CHECK(contrast(to_color(t->ink), to_color(t->serious_soft)) >= 7);
    CHECK(contrast(to_color(t->accent), to_color(t->accent_soft)) >= 4.5);
  }
  CHECK(contrast({0, 0, 0}, {255, 255, 255}) == Approx(21));
}

TEST_CASE("ink is lifted where it could not be seen on the stock, and no further") {
  // WCAG 2.2, success criterion 1.4.11, "Non-text Contrast": 3:1 for marks that must be made out.
  const Color night{45, 74, 102}, cloud{244, 240, 230};
  const std::vector<Color> grounds{night, cloud, {255, 255, 255}, {0, 0, 0}, {128, 128, 128}, {190, 60, 50}};
  for (const Color ground : grounds) {
    for (const Color ink : grounds) {
      INFO(hex(ink) << " on " << hex(ground));
      CHECK(contrast(to_color(line_color(Role::draw, ink, ground)), ground) >= 3);
    }
  }
  CHECK(line_color(Role::draw, {156, 61, 46}, cloud) == QColor(156, 61, 46));
  for (const Role role : {Role::cut, Role::score, Role::foil, Role::engrave}) {
    for (const Color ground : grounds) {
      INFO(word(role) << " on " << hex(ground));
      CHECK(contrast(to_color(line_color(role, {}, ground)), ground) >= 3);
    }
  }
}

TEST_CASE("the picture of a sheet is as large as the sheet and shows its lines") {
  const Project p = the_demo();
  const Derived d = derived_of(p);
  const QImage image = sheet_image(p, d, {1, 0}, 5);
  CHECK(image.size() == QSize(1380, 590));
  CHECK(image.dotsPerMeterX() == 5000);
  // The card's left edge, 20 mm from the mat's left, on a sheet 12 mm from it: 8 mm in.
  int dark = 0;
  for (int y = 150; y < 450; ++y) dark += qGray(image.pixel(40, y)) < 150;
  CHECK(dark > 290);
  CHECK(qGray(image.pixel(20, 300)) > 200);
}

TEST_CASE("a mirrored job is shown mirrored about its sheet") {
  Project p = the_demo();
  const Derived straight = derived_of(p);
  p.plan.mirrored = true;
  const Derived mirrored = derived_of(p);
  const Box a = shown_drawing(straight, {2, 0}).bounds(), b = shown_drawing(mirrored, {2, 0}).bounds();
  const Box sheet = p.sheets[1].area;
  CHECK(b.x0 == Approx(sheet.x0 + sheet.x1 - a.x1));
  CHECK(b.y0 == Approx(a.y0));
  CHECK(b.width() == Approx(a.width()));
}

TEST_CASE("a single pass shows only its own lines") {
  const Project p = the_demo();
  const Derived d = derived_of(p);
  const auto all = shown_drawing(d, {0, 0}), one = shown_drawing(d, {0, static_cast<int>(d.plan.passes.size())});
  auto polylines = [](const Drawing& drawing) {
    std::size_t n = 0;
    for (const auto& piece : drawing.pieces) {
      for (const auto& line : piece->flat->lines) n += line.polylines->size();
    }
    return n;
  };
  CHECK(polylines(one) == d.plan.passes.back().strokes.size());
  CHECK(polylines(all) > polylines(one));
}

TEST_CASE("what was marked is as wide as the tip") {
  const Project p = the_demo();
  RunRecord record;
  record.marks.push_back({"chisel-marker", 1, {{20, 50}, {100, 50}}});
  record.marks.push_back({"pen-black", 2, {{20, 80}, {100, 80}}});  // on another mat: not shown
  const QImage image = outcome_image(p, record, p.sheets[0], 10);
  int inked = 0;
  const int x = static_cast<int>((60 - p.sheets[0].area.x0) * 10);
  for (int y = 0; y < image.height(); ++y) inked += qGray(image.pixel(x, y)) < 160;
  CHECK(inked == Approx(20).margin(2));  // 2 mm at 10 px a mm
}

TEST_CASE("painting gives up soon after it is told to stop") {
  const Project p = the_demo();
  const Derived d = derived_of(p);
  QImage image(400, 400, QImage::Format_RGB32);
  QPainter painter(&image);
  std::atomic<bool> stop = true;
  LineOptions options;
  options.stop = &stop;
  CHECK(paint_lines(painter, {}, p, d.drawing, light_theme(), options) == 0);
  stop = false;
  CHECK(paint_lines(painter, {}, p, d.drawing, light_theme(), options) > 100);
}

TEST_CASE("views convert there and back, and fit what they are given") {
  const View v = View::fitting(Box::of(10, 20, 100, 50), QRectF(0, 0, 640, 480), 20);
  CHECK(v.px_per_mm == Approx(6));
  const Vec p{33.3, 44.4};
  CHECK(distance(v.to_mm(v.to_px(p)), p) < 1e-9);
  CHECK(v.to_px(Box::of(10, 20, 100, 50)).center() == QPointF(320, 240));
}

TEST_CASE("words for lengths and times") {
  CHECK(length_text(36, LengthUnit::mm) == QStringLiteral("36.0\u00a0mm"));
  CHECK(length_text(25.4, LengthUnit::inch) == QStringLiteral("1.000\u00a0in"));
  CHECK(time_text(48.2) == "48 s");
  CHECK(time_text(210) == "3.5 min");
  CHECK(time_text(1800) == "30 min");
  CHECK(time_text(4320) == "1 h 12 min");
  CHECK(span_text(900, 60) == "14 to 16 min");
  CHECK(span_text(60, 10) == "50 s to 1.2 min");
  CHECK(span_text(3600, 600) == "50 min to 1 h 10 min");
  CHECK(span_text(1800, 3) == "30 min");
  CHECK(run_length_text(812, LengthUnit::mm) == "812 mm");
  CHECK(run_length_text(1930, LengthUnit::mm) == "1.9 m");
  CHECK(counted(1, "piece", "pieces") == QStringLiteral("1\u00a0piece"));
  CHECK(counted(5, "piece", "pieces") == QStringLiteral("5\u00a0pieces"));
  CHECK(*parse_length("2", LengthUnit::inch) == Approx(50.8));
  CHECK(*parse_length("2 mm", LengthUnit::inch) == Approx(2));
  CHECK(*parse_length(QLocale().toString(2500.5, 'f', 1), LengthUnit::mm) == Approx(2500.5));
  CHECK(*parse_length("4 in/s", LengthUnit::mm) == Approx(101.6));
  CHECK(speed_text(60, LengthUnit::mm) == "60 mm/s");
  CHECK(speed_text(60, LengthUnit::inch) == "2.4 in/s");
  CHECK_FALSE(parse_length("wide", LengthUnit::mm));
}

namespace {

/// Cut shapes filled with black, without grey edges, so that what only touches leaves no seam of its own.
QImage filled(const std::vector<Line>& lines, const std::vector<Vec>& moved, const View& view) {
  QImage image(640, 640, QImage::Format_Grayscale8);
  image.fill(Qt::white);
  QPainter p(&image);
  p.setClipRect(QRect(0, 0, 608, 488));  // two tiles each way
  p.setPen(Qt::NoPen);
  p.setBrush(Qt::black);
  for (const Vec by : moved) {
    for (const auto& line : lines) {
      QPainterPath area;
      area.setFillRule(Qt::OddEvenFill);
      for (const auto& c : placed_path(line).contours) {
        QPolygonF pixels;
        for (const Vec q : flatten(c, 0.005).points) pixels.append(view.to_px(q + by));
        area.addPolygon(pixels);
      }
      p.drawPath(area);
    }
  }
  return image;
}

}  // namespace

TEST_CASE("tiles that wrap around show no seam when they are laid beside each other") {
  for (const char* way : {"grid", "brick", "hex"}) {
    Project p = new_project("tiles");
    const auto art = read_svg(
        R"(<svg xmlns="http://www.w3.org/2000/svg" width="60mm" height="40mm" viewBox="0 0 60 40" fill="none" stroke="#222"><path id="g" d="M10 20 C12 14 17 13 20 18 C23 13 28 14 30 20 C27 17 23 18 20 22 C17 18 13 17 10 20 Z"/></svg>)",
        "gull.svg");
    p = add_artwork(std::move(p), *art, "gull.svg");
    Step step;
    step.kind = "repeat";
    step.values = {
        {"way", std::string(way)},    {"by", std::string("fill-shapes")}, {"gap", 2.0}, {"wide", 76.0}, {"high", 61.0},
        {"edge", std::string("wrap")}};
    p = *add_step(std::move(p), 1, step);
    DrawingCache cache;
    const Drawing tile = evaluate(p, cache);
    const auto& outcome = tile.pieces[0]->outcomes.back();
    REQUIRE(outcome.repeated);
    const Box room = outcome.repeated->room;
    const auto& lines = tile.pieces[0]->piece->lines;
    const View view{4, QPointF(-room.x0, -room.y0) * 4};
    const double w = room.width(), h = room.height();
    const QImage beside = filled(lines, {{0, 0}, {w, 0}, {0, h}, {w, h}}, view);
    // The same copies, none of them cut, over a room that is much larger.
    std::vector<Line> whole;
    for (const auto& line : lines) {
      if (!(line.at == Affine{})) whole.push_back(line);
    }
    REQUIRE(!whole.empty());
    std::vector<Vec> steps;
    const double across = outcome.repeated->pitch_mm, down = outcome.repeated->pitch_down_mm;
    const double shift = std::string(way) == "grid" ? 0 : 0.5;
    for (int r = -30; r <= 60; ++r) {
      for (int c = -20; c <= 40; ++c) steps.push_back({(c + (r % 2 != 0 ? shift : 0)) * across, r * down});
    }
    // Seen from an unshifted row, as the first one is.
    const Line* first = nullptr;
    for (const auto& line : whole) {
      if (line.id.ends_with(".0") && !first) first = &line;
    }
    if (!first) first = &whole.front();
    const QImage endless = filled({*first}, steps, view);
    INFO(way);
    CHECK(difference(beside, endless) < 150);  // pixels at the rims of curves, of 296,704
    CHECK(difference(beside, filled({*first}, {{0, 0}}, view)) > 20'000);
  }
}
