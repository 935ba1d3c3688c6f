#include "render/pixel_lines.hpp"

#include <algorithm>
#include <cmath>

#include "core/geometry/parallel.hpp"

namespace dotlane {
namespace {

constexpr int kBandRows = 128;
constexpr std::ptrdiff_t kStretchPoints = 24;
constexpr std::size_t kBatch = 50'000;       // points that are collected before they are drawn
constexpr std::size_t kWorthThreads = 4000;  // points; fewer are drawn here
constexpr float kThin = 0.75F;               // half widths up to this are drawn without joins

/// `from` with so many of 256 parts of `to` over it; for premultiplied colours, too.
[[gnu::always_inline]] inline QRgb mixed(QRgb from, QRgb to, std::uint32_t parts) {
  const std::uint32_t rb = from & 0xFF00FF, ag = (from >> 8) & 0xFF00FF;
  return ((rb + ((((to & 0xFF00FF) - rb) * parts) >> 8)) & 0xFF00FF) |
         (((ag << 8) + (((to >> 8) & 0xFF00FF) - ag) * parts) & 0xFF00FF00);
}

/// In 65,536ths.
std::int64_t fixed(float v) { return static_cast<std::int64_t>(v * 65536); }

/// The whole number at or below; quicker than the library's, which does not know the processor.
int down(float v) {
  const int whole = static_cast<int>(v);
  return whole - (v < static_cast<float>(whole) ? 1 : 0);
}

}  // namespace

/// Draws the stretches that touch a band of rows into it.
class PixelLines::Band {
 public:
  Band(const PixelLines& lines, QRgb* pixels, std::ptrdiff_t stride, int top, int bottom)
      : lines_(lines),
        pixels_(pixels),
        stride_(stride),
        width_(lines.image_->width()),
        top_(top),
        bottom_(bottom),
        low_{0, static_cast<float>(top)},
        high_{static_cast<float>(width_), static_cast<float>(bottom)} {}

  void draw(const std::vector<std::uint32_t>& stretches, const std::atomic<bool>* stop) {
    std::uint32_t course = 0;
    for (std::size_t i = 0; i < stretches.size(); ++i) {
      if (i % 1024 == 0 && stop && stop->load(std::memory_order_relaxed)) return;
      const Stretch& s = lines_.stretches_[stretches[i]];
      const Pen& pen = lines_.pens_[s.pen];
      if (s.course != course || pen.parts == 256) cover();  // what is opaque may be drawn twice where stretches meet
      course = s.course;
      pen_ = &pen;
      if (s.first == s.last) {
        wide(lines_.points_[s.first], lines_.points_[s.first]);
      } else if (pen.half > kThin) {
        for (std::uint32_t k = s.first; k < s.last; ++k) wide(lines_.points_[k], lines_.points_[k + 1]);
      } else if (pen.until.empty()) {
        if (inside(s.edges)) {
          near(&lines_.points_[s.first], s.last - s.first);
        } else {
          for (std::uint32_t k = s.first; k < s.last; ++k) thin(lines_.points_[k], lines_.points_[k + 1]);
        }
      } else {
        float along = s.along;
        for (std::uint32_t k = s.first; k < s.last; ++k) {
          const Point a = lines_.points_[k], b = lines_.points_[k + 1];
          const float length = std::hypot(b.x - a.x, b.y - a.y);
          thin(a, b, along, length);
          along += length;
        }
      }
    }
    cover();
  }

 private:
  /// Whether thin lines between these edges have no pixel outside the band.
  [[nodiscard]] bool inside(const Edges& e) const {
    return e.top >= low_.y + 1 && e.bottom <= high_.y - 2 && e.left >= 1 && e.right <= high_.x - 2;
  }
  /// Pixels along an axis. Where the line is across it, from the middle of a pixel on, is told in 65,536ths of one.
  struct Steps {
    QRgb* pixel;
    std::ptrdiff_t along, across;
    std::int64_t middle, lean;
    int count, start;
  };
  /// The pixels along the steeper axis of a line whose middles lie beside it, of those in the band. Its last pixel
  /// is left to what follows, so that none is drawn twice where segments meet.
  [[nodiscard]] Steps steps_of(Point a, Point b) const {
    const float dx = b.x - a.x, dy = b.y - a.y;
    const bool upright = std::abs(dy) > std::abs(dx);
    const float major = upright ? dy : dx, from = upright ? a.y : a.x, side = upright ? a.x : a.y;
    const float least = upright ? low_.y : low_.x, most = upright ? high_.y : high_.x;
    const int one = static_cast<int>(std::min(std::max(from, least), most) + 0.5F),
              other = static_cast<int>(std::min(std::max(from + major, least), most) + 0.5F);
    Steps steps;
    steps.start = std::min(one, other), steps.count = std::max(one, other) - steps.start;
    const float slope = major == 0 ? 0 : (upright ? dx : dy) / major;
    steps.lean = fixed(slope);
    steps.middle = fixed(side - 0.5F + (static_cast<float>(steps.start) + 0.5F - from) * slope);
    steps.along = upright ? stride_ : 1, steps.across = upright ? 1 : stride_;
    steps.pixel = pixels_ - top_ * stride_ + steps.start * steps.along;
    return steps;
  }
  /// Lines of which nothing lies beside the band, as most do: with little ado.
  void near(const Point* points, std::uint32_t segments) const {
    const QRgb color = pen_->color;
    const std::uint32_t parts = pen_->parts;
    for (std::uint32_t k = 0; k < segments; ++k) {
      Steps s = steps_of(points[k], points[k + 1]);
      for (; s.count > 0; --s.count, s.middle += s.lean, s.pixel += s.along) {
        const auto share = static_cast<std::uint32_t>((s.middle >> 8) & 255);
        QRgb* at = s.pixel + (s.middle >> 16) * s.across;
        at[0] = mixed(at[0], color, (256 - share) * parts >> 8);
        at[s.across] = mixed(at[s.across], color, share * parts >> 8);
      }
    }
  }
  /// A line about a pixel wide. With a pattern: where along its course it begins, and how long it is.
  void thin(Point a, Point b, float along = 0, float length = 0) const {
    const float left = std::min(a.x, b.x), right = std::max(a.x, b.x), top = std::min(a.y, b.y),
                bottom = std::max(a.y, b.y);
    if (bottom < low_.y - 1 || top > high_.y + 1 || right < -1 || left > high_.x + 1) return;
    if (pen_->until.empty() && inside({top, bottom, left, right})) {
      const Point both[]{a, b};
      return near(both, 1);
    }
    walk(a, b, along, length);
  }

  /// Where some of it may lie beside the band or in a gap.
  void walk(Point a, Point b, float along, float length) const {
    Steps s = steps_of(a, b);
    const bool upright = s.across == 1;
    const float major = upright ? b.y - a.y : b.x - a.x, longer = length / std::abs(major);
    along += std::abs(static_cast<float>(s.start) + 0.5F - (upright ? a.y : a.x)) * longer;
    const std::int64_t low = upright ? 0 : top_, high = upright ? width_ : bottom_;
    const auto blend = [&](std::int64_t row, std::uint32_t share) {
      if (row < low || row >= high) return;
      QRgb* at = s.pixel + row * s.across;
      *at = mixed(*at, pen_->color, share * pen_->parts >> 8);
    };
    for (; s.count > 0; --s.count, s.middle += s.lean, s.pixel += s.along, along += major > 0 ? longer : -longer) {
      if (!pen_->until.empty() && in_gap(along)) continue;
      const auto share = static_cast<std::uint32_t>((s.middle >> 8) & 255);
      blend(s.middle >> 16, 256 - share), blend((s.middle >> 16) + 1, share);
    }
  }

  /// Whether the pattern leaves a gap so far along.
  [[nodiscard]] bool in_gap(float along) const {
    const auto& until = pen_->until;
    along -= std::floor(along / until.back()) * until.back();
    std::size_t part = 0;
    while (part + 1 < until.size() && along >= until[part]) ++part;
    return part % 2 == 1;
  }

  /// A wide line with round ends, into the mask of its course; cover() brings that onto the picture.
  void wide(Point a, Point b) {
    const float outer = pen_->half + 0.5F, inner = pen_->half - 0.5F;
    const float left = std::min(a.x, b.x) - outer, right = std::max(a.x, b.x) + outer;
    const float above = std::min(a.y, b.y) - outer, below = std::max(a.y, b.y) + outer;
    if (right < 0 || left > high_.x || below < low_.y || above > high_.y) return;
    if (mask_.empty()) {
      mask_.resize(static_cast<std::size_t>(width_) * static_cast<std::size_t>(bottom_ - top_));
      touched_.assign(static_cast<std::size_t>(bottom_ - top_), {width_, -1});
    }
    const float dx = b.x - a.x, dy = b.y - a.y, squared = dx * dx + dy * dy, share = squared > 0 ? 1 / squared : 0;
    // Along a row, the stretch that is near the line through both ends.
    const bool level = std::abs(dy) < 1e-3F;
    const float lean = level ? 0 : dx / dy, spread = level ? right - left : outer * std::sqrt(squared) / std::abs(dy);
    const int y0 = down(std::max(above, static_cast<float>(top_)));
    const int y1 = down(std::min(below, static_cast<float>(bottom_ - 1)));
    for (int y = y0; y <= y1; ++y) {
      const float py = static_cast<float>(y) + 0.5F - a.y, centre = a.x + lean * py;
      const int x0 = down(std::max(std::max(left, centre - spread), 0.0F));
      const int x1 = down(std::min(std::min(right, centre + spread), static_cast<float>(width_ - 1)));
      if (x0 > x1) continue;
      auto& [low, high] = touched_[static_cast<std::size_t>(y - top_)];
      low = std::min(low, x0), high = std::max(high, x1);
      std::uint8_t* row = mask_.data() + static_cast<std::ptrdiff_t>(y - top_) * width_;
      for (int x = x0; x <= x1; ++x) {
        const float px = static_cast<float>(x) + 0.5F - a.x;
        const float t = std::clamp((px * dx + py * dy) * share, 0.0F, 1.0F);
        const float ox = px - t * dx, oy = py - t * dy, off = ox * ox + oy * oy;
        if (off <= inner * inner) {
          row[x] = 255;
        } else if (off < outer * outer) {
          row[x] = std::max(row[x], static_cast<std::uint8_t>((outer - std::sqrt(off)) * 255));
        }
      }
    }
  }

  /// Brings the mask onto the picture and empties it.
  void cover() {
    for (std::size_t k = 0; k < touched_.size(); ++k) {
      auto& [low, high] = touched_[k];
      if (low > high) continue;
      std::uint8_t* mask = mask_.data() + k * static_cast<std::size_t>(width_);
      QRgb* row = pixels_ + static_cast<std::ptrdiff_t>(k) * stride_;
      const std::uint32_t parts = pen_->parts;
      for (int x = low; x <= high; ++x) {
        if (mask[x] == 255 && parts == 256) {
          row[x] = pen_->color;
        } else if (mask[x] > 0) {
          row[x] = mixed(row[x], pen_->color, (mask[x] + 1U) * parts >> 8);
        }
      }
      std::fill(mask + low, mask + high + 1, std::uint8_t{0});
      low = width_, high = -1;
    }
  }

  const PixelLines& lines_;
  QRgb* pixels_;  // of the band's first row
  std::ptrdiff_t stride_;
  int width_, top_, bottom_;
  Point low_, high_;                // corners of the band
  const Pen* pen_ = nullptr;        // of the course under way
  std::vector<std::uint8_t> mask_;  // what it covers
  std::vector<std::pair<int, int>> touched_;
};

std::optional<PixelLines> PixelLines::on(QPainter& painter) {
  QPaintDevice* device = painter.device();
  if (!device || device->devType() != QInternal::Image || painter.hasClipping()) return {};
  auto& image = static_cast<QImage&>(*device);
  const QTransform map = painter.deviceTransform();
  if (map.type() > QTransform::TxScale || map.m11() <= 0 || map.m22() <= 0) return {};
  if (image.format() != QImage::Format_RGB32 && image.format() != QImage::Format_ARGB32_Premultiplied) return {};
  PixelLines lines(image, map, painter.opacity());
  lines.bands_.resize(static_cast<std::size_t>((image.height() + kBandRows - 1) / kBandRows));
  return lines;
}

void PixelLines::set_pen(const PixelPen& pen) {
  Pen made{pen.color.rgb() | 0xFF000000,
           static_cast<std::uint32_t>(std::lround(256 * pen.color.alphaF() * opacity_)),
           static_cast<float>(std::max(1.0, pen.width * map_.m11()) / 2),
           {}};
  float sum = 0;
  for (const double px : pen.pattern) made.until.push_back(sum += static_cast<float>(px * map_.m11()));
  if (sum <= 0) made.until.clear();
  if (pens_.empty() || pens_.back() != made) pens_.push_back(std::move(made));
}

void PixelLines::end_stretch(std::size_t first, std::size_t last, Edges edges, float along) {
  const float reach = pens_.back().half + 1.5F;
  const auto n = static_cast<float>(bands_.size());
  const float b0 = (edges.top - reach) / kBandRows, b1 = (edges.bottom + reach) / kBandRows;
  if (b1 < 0 || b0 >= n || edges.right + reach < 0 || edges.left - reach > static_cast<float>(image_->width())) return;
  const auto id = static_cast<std::uint32_t>(stretches_.size());
  stretches_.push_back({static_cast<std::uint32_t>(first), static_cast<std::uint32_t>(last), courses_,
                        static_cast<std::uint32_t>(pens_.size() - 1), along, edges});
  for (auto b = static_cast<std::size_t>(std::max(b0, 0.0F)); b <= static_cast<std::size_t>(std::min(b1, n - 1)); ++b)
    bands_[b].push_back(id);
}

std::size_t PixelLines::add(const std::vector<Vec>& points, const Affine& map) {
  if (points.empty()) return 0;
  const Affine m = Affine{map_.m11(), 0, 0, map_.m22(), map_.dx(), map_.dy()} * map;
  const bool dashed = !pens_.back().until.empty();
  ++courses_;
  const std::size_t before = points_.size();
  points_.resize(before + points.size());
  Point* const begin = points_.data();
  Point *first = begin + before, *end = first;
  float along = 0, so_far = 0;
  Edges edges{};
  Point last{};
  for (std::size_t i = 0; i < points.size(); ++i) {
    const Vec p = m(points[i]);
    const Point q{static_cast<float>(p.x), static_cast<float>(p.y)};
    if (end == first) {
      edges = {q.y, q.y, q.x, q.x};
    } else {
      if (std::abs(q.x - last.x) + std::abs(q.y - last.y) < 0.5F && i + 1 < points.size()) continue;
      if (dashed) so_far += std::hypot(q.x - last.x, q.y - last.y);
      edges.top = std::min(edges.top, q.y), edges.bottom = std::max(edges.bottom, q.y);
      edges.left = std::min(edges.left, q.x), edges.right = std::max(edges.right, q.x);
    }
    *end++ = last = q;
    if (end - first > kStretchPoints) {
      end_stretch(static_cast<std::size_t>(first - begin), static_cast<std::size_t>(end - begin) - 1, edges, along);
      first = end - 1;
      edges = {q.y, q.y, q.x, q.x};
      along = so_far;
    }
  }
  auto added = static_cast<std::size_t>(end - begin) - before;
  // A touch of the tip is a single point, or two at one place.
  if (added == 2 && last.x == first->x && last.y == first->y) --end;
  if (end - first > 1 || added <= 2)
    end_stretch(static_cast<std::size_t>(first - begin), static_cast<std::size_t>(end - begin) - 1, edges, along);
  points_.resize(static_cast<std::size_t>(end - begin));
  if (points_.size() > kBatch) draw(nullptr);  // while they are at hand
  return added;
}

void PixelLines::flush(const std::atomic<bool>* stop) {
  draw(stop);
  pens_.clear();
}

void PixelLines::draw(const std::atomic<bool>* stop) {
  if (!stretches_.empty()) {
    auto* pixels = reinterpret_cast<QRgb*>(image_->bits());
    const auto stride = static_cast<std::ptrdiff_t>(image_->bytesPerLine() / 4);
    const std::size_t worth = points_.size() < kWorthThreads ? bands_.size() + 1 : 0;
    for_each_index(bands_.size(), worth, [&](std::size_t b) {
      if (bands_[b].empty()) return;
      const int top = static_cast<int>(b) * kBandRows, bottom = std::min(top + kBandRows, image_->height());
      Band(*this, pixels + top * stride, stride, top, bottom).draw(bands_[b], stop);
    });
  }
  points_.clear(), stretches_.clear();
  for (auto& band : bands_) band.clear();
}

}  // namespace dotlane
