// What becomes of what the hand draws on the bench.
#include "app/bench/bench.hpp"
#include "core/place/catch.hpp"
#include "core/project/edit.hpp"
#include "core/shape/draw.hpp"

namespace dotlane {

void Bench::sketch(Sketch::What what) {
  if (record_ || (showsMats() && what != Sketch::What::tape)) what = Sketch::What::none;
  if (picking_ != Picking::none) setPicking(Picking::none);
  typing_.end();
  sketch_.begin(what == sketch_.what() ? Sketch::What::none : what);
  snapping_.end(), snapping_.clear();
  setCursor(sketch_.active() ? Qt::CrossCursor : Qt::ArrowCursor);
  update();
}

void Bench::setTouching(bool on) {
  touching_ = on;
  update();
}

Vec Bench::sketchPlace(QPointF at, Qt::KeyboardModifiers keys) {
  return sketch_.meets() ? metPlace(at, keys) : view_.to_mm(at);
}

void Bench::selectCaught(const std::vector<Vec>& loop, bool more) {
  auto take = [this, more](std::vector<LineRef> lines) {
    if (more) {
      const auto& old = session_.selection();
      lines.insert(lines.end(), old.begin(), old.end());
    }
    session_.select(std::move(lines));
  };
  constexpr std::size_t kAtOnce = 30'000;  // segments that are looked at without anybody waiting
  const Caught how = touching_ ? Caught::touched : Caught::enclosed;
  const Drawing drawing = reachable();
  if (drawing.segments() <= kAtOnce) return take(caught(drawing, loop, how));
  session_.aside([drawing, loop, how, take] { return [take, lines = caught(drawing, loop, how)] { take(lines); }; }, 1);
}

void Bench::sketched(Sketch::What what, const std::vector<Vec>& places, bool closed) {
  using What = Sketch::What;
  if (what == What::loop) return selectCaught(places, false);
  const auto chosen = session_.selectedPieces();
  if (what == What::erase || what == What::split) {
    // What is selected, else everything in reach.
    std::vector<int> pieces = chosen;
    if (pieces.empty()) {
      const Drawing drawing = reachable();
      for (const auto& piece : drawing.pieces) pieces.push_back(piece->piece->id);
    }
    return session_.editDrawn(
        [pieces, places, erase = what == What::erase](const Project& p, const Drawing& d) {
          return erase ? erase_within(p, d, pieces, places) : split_along(p, d, pieces, places);
        },
        what == What::erase ? tr("Erase") : tr("Cut in two"));
  }
  const Drawn how = what == What::straight   ? Drawn::straight
                    : what == What::polyline ? Drawn::polyline
                    : what == What::freehand ? Drawn::freehand
                                             : Drawn::fold;
  const Drawing drawing = reachable();
  const auto under = piecesAt(view_.to_px(lerp(places.front(), places.back(), 0.5)));
  // What is cut there is what it is drawn on, the top layer first.
  int over = under.empty() ? 0 : under.back();
  for (auto it = under.rbegin(); it != under.rend(); ++it) {
    const auto& lines = find_drawn(drawing, *it)->piece->lines;
    if (std::any_of(lines.begin(), lines.end(), [](const Line& line) { return line.role == Role::cut; })) over = *it;
  }
  std::vector<Contour> contours;
  if (how == Drawn::fold) {
    contours = fold_across(find_drawn(drawing, over), places.front(), places.back());
  } else if (auto contour = drawn_contour(places, how, closed)) {
    contours.push_back(std::move(*contour));
  }
  if (contours.empty()) return;
  int id = 0;
  const QString name = how == Drawn::fold ? tr("Fold") : tr("Line");
  session_.commit(add_drawn(session_.project(), contours, how, over, name.toStdString(), &id),
                  how == Drawn::fold ? tr("Draw a fold") : tr("Draw a line"));
  session_.select({{id, ""}});
}

}  // namespace dotlane
