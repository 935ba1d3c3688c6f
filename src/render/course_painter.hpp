// Courses of tools in pixels: by a QPainter, or, where there are very many, straight into its image.
#pragma once

#include "render/pixel_lines.hpp"
#include "render/view.hpp"

namespace dotlane {

/// The course in pixels, without points that would fall on the last one.
void to_pixels(const View& view, const Affine& map, const std::vector<Vec>& course, QPolygonF& out);

class CoursePainter {
 public:
  /// `quick`: straight into the image, where the painter has one that it can be done in.
  CoursePainter(QPainter& painter, const View& view, bool quick);

  /// Whether courses are drawn straight into the image.
  [[nodiscard]] bool quick() const { return lines_.has_value(); }
  void set_pen(const QPen& pen);
  /// A course of the tool; a touch of the tip has one point, or two at one place. Returns the number of points painted.
  std::size_t draw(const std::vector<Vec>& course, const Affine& map);
  /// Nothing of what has been drawn is still to come. To be called before the painter paints over it.
  void finish(const std::atomic<bool>* stop = nullptr);

 private:
  QPainter& painter_;
  View view_;
  std::optional<PixelLines> lines_;
  QPolygonF pixels_;
};

}  // namespace dotlane
