// Polylines drawn straight into an image: for pictures of so many segments that a QPainter takes longer than a frame.
#pragma once

#include <QImage>
#include <QPainter>
#include <atomic>
#include <optional>
#include <vector>

#include "core/geometry/flatten.hpp"

namespace dotlane {

struct PixelPen {
  QColor color;
  double width = 1;             ///< px; what is thinner is drawn a pixel wide
  std::vector<double> pattern;  ///< px of line and of gap in turn, an even number; empty, or wider than 1.5 px: solid
};

/// Collects polylines and draws them in the order in which they came: smooth, from 1.5 px on with round ends and joins.
/// The image is cut into bands, which are drawn on all cores; a pixel belongs to one band, so the result is the same
/// however many cores there are. What is covered of a pixel follows from how far its middle is from the line.
class PixelLines {
 public:
  /// Onto the image on which the painter paints, with its map and opacity. Nothing for devices other than 32 bit images
  /// and for painters that turn, shear or clip.
  [[nodiscard]] static std::optional<PixelLines> on(QPainter& painter);

  /// How what is added from now on is drawn.
  void set_pen(const PixelPen& pen);
  /// `map` brings the points into the painter's pixels; those nearer than half a pixel to the last one are passed over.
  /// Returns how many are left.
  std::size_t add(const std::vector<Vec>& points, const Affine& map);
  /// Draws what has been added and forgets it and the pen; gives up soon after `stop` turns true. To be called before
  /// the painter paints over it, and at the end.
  void flush(const std::atomic<bool>* stop = nullptr);

 private:
  struct Pen {
    QRgb color;                ///< opaque
    std::uint32_t parts;       ///< of 256, by which it covers
    float half;                ///< of the width
    std::vector<float> until;  ///< where each line and gap of the pattern ends; empty: solid
    friend bool operator==(const Pen&, const Pen&) = default;
  };
  struct Point {
    float x, y;
  };
  struct Edges {
    float top, bottom, left, right;
  };
  /// A stretch of a course, short enough to lie in few bands.
  struct Stretch {
    std::uint32_t first, last;  ///< points
    std::uint32_t course, pen;
    float along;  ///< of the course before it, px
    Edges edges;
  };
  class Band;

  PixelLines(QImage& image, const QTransform& map, double opacity) : image_(&image), map_(map), opacity_(opacity) {}
  void draw(const std::atomic<bool>* stop);
  void end_stretch(std::size_t first, std::size_t last, Edges edges, float along);

  QImage* image_;
  QTransform map_;
  double opacity_;
  std::vector<Pen> pens_;
  std::vector<Point> points_;
  std::vector<Stretch> stretches_;
  std::vector<std::vector<std::uint32_t>> bands_;  // stretches that touch each
  std::uint32_t courses_ = 0;
};

}  // namespace dotlane
