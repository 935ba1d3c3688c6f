// Snapping on the bench: what is being dragged meets what lies around it, and is shown to.
#pragma once

#include <QPainter>
#include <map>

#include "core/place/snap.hpp"
#include "render/view.hpp"

namespace dotlane {

inline constexpr double kSnapPx = 7;    ///< how near something must be to be met
inline constexpr double kSnapTurn = 3;  ///< the same for angles, degrees

class Snapping {
 public:
  /// What there is to meet: of these pieces all but those that are dragged.
  void begin(const Drawing& around, const std::vector<int>& dragged, Ground ground);
  void end();
  [[nodiscard]] bool begun() const { return scene_ != nullptr; }
  [[nodiscard]] const SnapScene* scene() const { return scene_.get(); }
  /// How far the neighbours are turned, degrees.
  [[nodiscard]] const std::vector<double>& turns() const { return turns_; }

  /// What was met last, to be shown until the next one or clear(), with the frame that met it.
  void met(Snapped what, const Box& frame) { last_ = std::move(what), frame_ = frame; }
  void met(const std::vector<Meeting>& what, const Box& frame);
  void clear() { last_ = {}; }
  [[nodiscard]] const Snapped& last() const { return last_; }

  /// Lines through what was met, with the distances.
  void paint(QPainter& painter, const View& view, LengthUnit unit, const QRectF& canvas) const;

 private:
  std::unique_ptr<SnapScene> scene_;
  std::vector<double> turns_;
  Snapped last_;
  Box frame_;
  std::map<const DrawnPiece*, SnapPiece> known_;  // it holds the pieces, so that addresses stay theirs
};

}  // namespace dotlane
