// What a hand draws on the bench: lines to be drawn, loops that choose or erase, a line to cut along, the tape.
#pragma once

#include <QKeyEvent>
#include <QPainter>
#include <functional>
#include <optional>

#include "core/geometry/vec.hpp"
#include "core/project/project.hpp"
#include "render/view.hpp"

namespace dotlane {

class Sketch {
 public:
  enum class What { none, loop, erase, split, straight, polyline, freehand, fold, tape };

  /// Hears what was drawn, mm in the figure.
  std::function<void(What, const std::vector<Vec>&, bool closed)> done;

  void begin(What what);
  void end() { begin(What::none); }
  [[nodiscard]] What what() const { return what_; }
  [[nodiscard]] bool active() const { return what_ != What::none; }
  /// Whether places are to meet what lies around.
  [[nodiscard]] bool meets() const;
  /// Whether a drag is under way, or places wait for more.
  [[nodiscard]] bool started() const { return !places_.empty(); }

  /// Places come as the hand moves; `px_per_mm` tells near from far.
  void press(Vec at, double px_per_mm);
  void move(Vec at, bool down, double px_per_mm);
  void release(Vec at, double px_per_mm);
  void doubleClick();
  /// Enter ends a line, Backspace takes the last place back, Escape gives it up and then the sketching.
  bool key(const QKeyEvent& event);

  /// The tape's two places, while it lies there.
  [[nodiscard]] std::optional<std::pair<Vec, Vec>> tape() const;
  void paint(QPainter& painter, const View& view, LengthUnit unit, const QRectF& canvas) const;
  /// What to do now, in words.
  [[nodiscard]] QString hint() const;

 private:
  [[nodiscard]] bool drags() const;  // drawn in one stroke
  void finish(bool closed);

  What what_ = What::none;
  std::vector<Vec> places_;
  Vec now_;
  bool moved_ = false;  // since the button went down
  bool laid_ = false;   // the tape has both of its places
};

}  // namespace dotlane
