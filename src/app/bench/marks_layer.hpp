// What tools have marked, painted mark by mark onto a picture that is kept: a long job costs a frame no more than what
// is new, and never more than a little at a time.
#pragma once

#include <QImage>
#include <functional>

#include "core/job/run_record.hpp"
#include "core/plan/plan.hpp"
#include "render/view.hpp"

class QPainter;

namespace dotlane {

class CoursePainter;

class MarksLayer {
 public:
  /// Starts anew: another plan, another run, other colours.
  void clear() { image_ = {}; }
  /// Paints the marks on this mat load as far as they are known, or as far as the time for a frame goes. False when
  /// more are to come: paint again soon.
  bool paint(QPainter& painter, const View& view, QSize size, const Project& project, const RunRecord& record,
             int load);
  /// The same for what the plan has marked up to a moment, on the load it is then at.
  bool paint(QPainter& painter, const View& view, QSize size, const Project& project, const Plan& plan,
             const Moment& now);

 private:
  void prepare(const View& view, QSize size, int load, std::size_t wanted);
  /// `draw_one` says how many points it has drawn.
  bool go_on(std::size_t wanted, const std::function<std::size_t(CoursePainter&, std::size_t)>& draw_one);

  QImage image_;
  View view_;
  int load_ = 0;
  std::size_t done_ = 0;
};

}  // namespace dotlane
