#include "render/course_painter.hpp"

namespace dotlane {

void to_pixels(const View& view, const Affine& map, const std::vector<Vec>& course, QPolygonF& out) {
  out.clear();
  const Affine m = view.onto_pixels() * map;
  QPointF last;
  for (std::size_t i = 0; i < course.size(); ++i) {
    const Vec p = m(course[i]);
    const QPointF q(p.x, p.y);
    if (i > 0 && i + 1 < course.size() && std::abs(q.x() - last.x()) + std::abs(q.y() - last.y()) < 0.5) continue;
    out.append(q);
    last = q;
  }
}

CoursePainter::CoursePainter(QPainter& painter, const View& view, bool quick) : painter_(painter), view_(view) {
  if (quick) lines_ = PixelLines::on(painter);
}

void CoursePainter::set_pen(const QPen& pen) {
  if (!lines_) return painter_.setPen(pen);
  const double width = std::max(1.0, pen.widthF());
  PixelPen own{pen.color(), width, {}};
  if (pen.style() == Qt::CustomDashLine) {
    for (const double share : pen.dashPattern()) own.pattern.push_back(share * width);
  }
  lines_->set_pen(own);
}

std::size_t CoursePainter::draw(const std::vector<Vec>& course, const Affine& map) {
  if (lines_) return lines_->add(course, view_.onto_pixels() * map);
  to_pixels(view_, map, course, pixels_);
  if (pixels_.size() == 1 || (pixels_.size() == 2 && pixels_[0] == pixels_[1])) {
    painter_.drawPoint(pixels_[0]);
  } else {
    painter_.drawPolyline(pixels_);
  }
  return static_cast<std::size_t>(pixels_.size());
}

void CoursePainter::finish(const std::atomic<bool>* stop) {
  if (lines_) lines_->flush(stop);
}

}  // namespace dotlane
