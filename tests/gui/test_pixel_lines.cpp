// Lines drawn straight into an image, beside what a QPainter of Qt makes of the same: the reference.
#include <random>

#include "driving.hpp"
#include "render/course_painter.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

constexpr int kWide = 420, kHigh = 300;

struct Drawn {
  std::vector<std::vector<Vec>> courses;
  QPen pen{Qt::black, 1};
};

QPen round_pen(const QColor& color, double width) { return {color, width, Qt::SolidLine, Qt::RoundCap, Qt::RoundJoin}; }

QImage image_of(const Drawn& drawn, bool quick, double opacity = 1, double ratio = 1,
                QImage::Format format = QImage::Format_RGB32) {
  QImage image(QSize(kWide, kHigh) * ratio, format);
  image.setDevicePixelRatio(ratio);
  image.fill(format == QImage::Format_RGB32 ? Qt::white : Qt::transparent);
  QPainter p(&image);
  p.setRenderHint(QPainter::Antialiasing);
  p.setOpacity(opacity);
  CoursePainter courses(p, View{1, {}}, quick);
  REQUIRE(courses.quick() == quick);
  courses.set_pen(drawn.pen);
  for (const auto& course : drawn.courses) courses.draw(course, {});
  courses.finish();
  return image;
}

/// Lines that wander over the image and beyond its edges.
Drawn wandering(unsigned seed, const QPen& pen, int courses = 20, double step = 40) {
  std::mt19937 random(seed);
  std::uniform_real_distribution<double> x(-60, kWide + 60), y(-60, kHigh + 60), by(-step, step);
  Drawn drawn{{}, pen};
  for (int i = 0; i < courses; ++i) {
    Vec at{x(random), y(random)};
    auto& course = drawn.courses.emplace_back();
    for (int k = 0; k < 30; ++k) course.push_back(at = {at.x + by(random), at.y + by(random)});
  }
  return drawn;
}

int dark(const QImage& image, int x, int y) { return 255 - qGray(image.pixel(x, y)); }
double ink(const QImage& image) {
  double sum = 0;
  for (int y = 0; y < image.height(); ++y) {
    for (int x = 0; x < image.width(); ++x) sum += dark(image, x, y);
  }
  return sum;
}
/// Pixels that one has inked by two thirds, and the other has not at all on them or beside them.
int astray(const QImage& a, const QImage& b) {
  int n = 0;
  for (int y = 1; y + 1 < a.height(); ++y) {
    for (int x = 1; x + 1 < a.width(); ++x) {
      int near = 0;
      for (int v = -1; v <= 1; ++v) {
        for (int u = -1; u <= 1; ++u) near = std::max(near, dark(b, x + u, y + v));
      }
      n += dark(a, x, y) > 170 && near < 85;
    }
  }
  return n;
}
struct Off {
  double far = 0;   // share of pixels that differ by more than a quarter
  double mean = 0;  // of the difference, in 255ths
};
Off off(const QImage& a, const QImage& b) {
  Off out;
  for (int y = 0; y < a.height(); ++y) {
    for (int x = 0; x < a.width(); ++x) {
      const int d = std::abs(dark(a, x, y) - dark(b, x, y));
      out.far += d > 64, out.mean += d;
    }
  }
  const double pixels = static_cast<double>(a.width()) * a.height();
  out.far /= pixels, out.mean /= pixels;
  return out;
}

}  // namespace

TEST_CASE("thin lines lie where a QPainter draws them, within a pixel, and are at most 30 % fainter") {
  for (unsigned seed = 1; seed <= 12; ++seed) {
    CAPTURE(seed);
    const Drawn drawn = wandering(seed, QPen(Qt::black, 1), 20, seed % 2 ? 40 : 3);
    const QImage own = image_of(drawn, true), qt = image_of(drawn, false);
    CHECK(ink(qt) > 50'000);
    CHECK(astray(own, qt) == 0);
    CHECK(astray(qt, own) == 0);
    CHECK(ink(own) > 0.7 * ink(qt));
    CHECK(ink(own) < 1.05 * ink(qt));
  }
}

TEST_CASE("level and upright lines through the middles of pixels are sharp") {
  const Drawn drawn{{{{10, 20.5}, {200, 20.5}}, {{50.5, 100}, {50.5, 200}}}, QPen(Qt::black, 1)};
  const QImage own = image_of(drawn, true);
  CHECK(dark(own, 100, 20) > 250);
  CHECK(dark(own, 100, 19) < 5);
  CHECK(dark(own, 100, 21) < 5);
  CHECK(dark(own, 50, 150) > 250);
  CHECK(dark(own, 49, 150) < 5);
  CHECK(ink(own) == Approx(255.0 * (190 + 100)).epsilon(0.02));
}

// Where a line passes close by itself, edges count once here and twice there: a few pixels are off by more.
TEST_CASE("wide lines are what a QPainter draws: one pixel in 200 off by more than a quarter, one in 255 on average") {
  for (const double width : {1.8, 2.5, 4.0, 9.0, 31.0}) {
    for (unsigned seed = 1; seed <= 3; ++seed) {
      CAPTURE(width, seed);
      const Drawn drawn = wandering(seed, round_pen(Qt::black, width), 8);
      const Off found = off(image_of(drawn, true), image_of(drawn, false));
      CHECK(found.far < 0.005);
      CHECK(found.mean <= 1);
    }
  }
}

TEST_CASE("faint wide lines are no darker where their segments meet, and cross themselves as a QPainter's do") {
  Drawn drawn = wandering(5, round_pen(QColor(0, 0, 0, 110), 6), 1);
  const Vec start = drawn.courses[0][0];
  for (Vec& p : drawn.courses[0]) p = {210 + (p.x - start.x) / 3, 150 + (p.y - start.y) / 3};
  const QImage own = image_of(drawn, true);
  int darkest = 0;
  for (int y = 0; y < kHigh; ++y) {
    for (int x = 0; x < kWide; ++x) darkest = std::max(darkest, dark(own, x, y));
  }
  CHECK(darkest <= 112);
  CHECK(darkest >= 108);
  CHECK(off(own, image_of(drawn, false)).mean <= 1);
}

TEST_CASE("a touch of the tip is a round dot, and so is a course that ends where it began") {
  const Drawn drawn{{{{50, 50}}, {{150, 50}, {150, 50}}}, round_pen(Qt::black, 10)};
  const QImage own = image_of(drawn, true);
  CHECK(ink(own) == Approx(2 * 255 * 3.14159 * 25).epsilon(0.03));
  CHECK(dark(own, 50, 50) == 255);
  CHECK(dark(own, 150, 46) == 255);
}

TEST_CASE("patterns have their share of line and gap along every direction, and go on where segments meet") {
  QPen pen(Qt::black, 1, Qt::CustomDashLine, Qt::FlatCap);
  pen.setDashPattern({6, 4});
  Drawn drawn{{}, pen};
  for (int degrees = 0; degrees < 360; degrees += 15) {
    auto& course = drawn.courses.emplace_back();
    const double a = degrees * 3.14159265 / 180;
    for (int k = 3; k <= 40; ++k) course.push_back({210 + 3.3 * k * std::cos(a), 150 + 3.3 * k * std::sin(a)});
  }
  Drawn solid = drawn;
  solid.pen = QPen(Qt::black, 1);
  CHECK(ink(image_of(drawn, true)) / ink(image_of(solid, true)) == Approx(0.6).margin(0.03));
  // Along a level line, dash by dash.
  const QImage row = image_of({{{{10, 20.5}, {33, 20.5}, {60, 20.5}, {110, 20.5}}}, pen}, true);
  for (int x = 10; x < 110; ++x) {
    CAPTURE(x);
    CHECK((dark(row, x, 20) > 128) == ((x - 10) % 10 < 6));
  }
}

TEST_CASE("what lies far outside costs nothing and spoils nothing") {
  Drawn drawn = wandering(3, QPen(Qt::black, 1), 4);
  const QImage alone = image_of(drawn, true);
  drawn.courses.push_back({{-1e7, -1e7}, {-1e7, 1e7}, {-9e6, 1e8}});
  drawn.courses.push_back({{1e6, 40}, {2e6, 40}});
  CHECK(image_of(drawn, true) == alone);
  // Through it from far away: on its way.
  const QImage crossed = image_of({{{{-5000, 100.5}, {5000, 100.5}}}, QPen(Qt::black, 1)}, true);
  CHECK(ink(crossed) == Approx(255.0 * kWide).epsilon(0.01));
}

TEST_CASE("bands of rows leave no seams: what is drawn lower down looks the same") {
  for (const double width : {1.0, 5.0}) {
    Drawn drawn = wandering(9, round_pen(Qt::black, width), 12, 16);
    for (auto& course : drawn.courses) {
      for (Vec& p : course) p = {std::round(p.x * 4) / 4, std::round(p.y * 4) / 4};
    }
    const QImage there = image_of(drawn, true);
    for (auto& course : drawn.courses) {
      for (Vec& p : course) p.y += 37;
    }
    const QImage lower = image_of(drawn, true);
    int different = 0;
    for (int y = 0; y + 37 < kHigh; ++y) {
      for (int x = 0; x < kWide; ++x) different += std::abs(dark(there, x, y) - dark(lower, x, y + 37)) > 2;
    }
    CHECK(different == 0);
  }
}

TEST_CASE("fine screens and clear pictures get the same lines, with the painter's opacity") {
  const Drawn drawn = wandering(4, round_pen(Qt::black, 3), 8);
  CHECK(off(image_of(drawn, true, 1, 2), image_of(drawn, false, 1, 2)).mean <= 1);
  CHECK(off(image_of(drawn, true, 0.4), image_of(drawn, false, 0.4)).mean <= 1);
  const QImage own = image_of(drawn, true, 1, 1, QImage::Format_ARGB32_Premultiplied);
  const QImage qt = image_of(drawn, false, 1, 1, QImage::Format_ARGB32_Premultiplied);
  double apart = 0;
  for (int y = 0; y < kHigh; ++y) {
    for (int x = 0; x < kWide; ++x) apart += std::abs(qAlpha(own.pixel(x, y)) - qAlpha(qt.pixel(x, y)));
  }
  CHECK(apart / (kWide * kHigh) <= 1);
}

TEST_CASE("painters that turn, clip or have no image keep to what they can") {
  QImage image(50, 50, QImage::Format_RGB32);
  QPainter p(&image);
  CHECK(PixelLines::on(p));
  p.save();
  p.rotate(10);
  CHECK_FALSE(PixelLines::on(p));
  p.restore();
  p.setClipRect(QRectF(0, 0, 10, 10));
  CHECK_FALSE(PixelLines::on(p));
  QImage grey(50, 50, QImage::Format_Grayscale8);
  QPainter q(&grey);
  CHECK_FALSE(PixelLines::on(q));
}
