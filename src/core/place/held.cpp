#include "core/place/held.hpp"

#include <algorithm>
#include <map>
#include <set>

#include "core/geometry/measure.hpp"
#include "core/place/axes.hpp"
#include "core/place/fitted.hpp"
#include "core/project/dependence.hpp"
#include "core/project/edit.hpp"

namespace dotlane {
namespace {

constexpr double kSettled = 1e-7;  // mm

/// Frames of pieces and lines of a drawing, worked out when they are asked for.
class Frames {
 public:
  enum class Exact { yes, to_be_shown };
  Frames(const Project& project, const Drawing& drawing, Exact exact = Exact::yes) : project_(project), exact_(exact) {
    for (const auto& piece : drawing.pieces) drawn_[piece->piece->id] = piece.get();
  }
  [[nodiscard]] Box of(int piece) {
    if (const auto known = known_.find(piece); known != known_.end()) return known->second;
    const auto drawn = drawn_.find(piece);
    if (drawn == drawn_.end()) return {};
    return known_[piece] = exact_ == Exact::yes ? tight_bounds(*drawn->second) : drawn->second->bounds;
  }
  [[nodiscard]] Box of(const Anchor& anchor, const std::string& stock) {
    if (anchor.piece == 0) {
      const Sheet* sheet = first_sheet(project_, stock);
      return sheet ? sheet->seen() : Box{};
    }
    if (anchor.line.empty()) return of(anchor.piece);
    const auto drawn = drawn_.find(anchor.piece);
    if (drawn == drawn_.end()) return {};
    Box box;
    for (const auto& line : drawn->second->piece->lines) {
      if (line.id == anchor.line) box.add(bounds_of(*line.path, drawn->second->map * line.at));
    }
    const auto by = moved_.find(anchor.piece);
    return by == moved_.end() || box.empty() ? box : moved(box, by->second);
  }
  void move(int piece, Vec by) {
    known_[piece] = moved(of(piece), by);
    moved_[piece] = moved_[piece] + by;
  }

 private:
  const Project& project_;
  Exact exact_;
  std::map<int, const DrawnPiece*> drawn_;
  std::map<int, Box> known_;
  std::map<int, Vec> moved_;
};

std::optional<double> wanted(Frames& frames, const Piece& piece, const Hold& hold) {
  if (hold.to.empty()) return std::nullopt;
  double sum = 0;
  for (const auto& anchor : hold.to) {
    const Box box = frames.of(anchor, piece.stock);
    if (box.empty()) return std::nullopt;
    sum += share_of(box, hold.axis, anchor.share);
  }
  if (hold.row.empty()) return sum / static_cast<double>(hold.to.size()) + hold.distance_mm;
  // Of a row: what is left of the room, in equal gaps.
  const double from = share_of(frames.of(hold.to[0], piece.stock), hold.axis, hold.to[0].share);
  const double room = sum - 2 * from;
  double sizes = 0, before = 0, own = 0;
  std::size_t place = hold.row.size();
  for (std::size_t i = 0; i < hold.row.size(); ++i) {
    const Box box = frames.of(hold.row[i]);
    if (box.empty()) return std::nullopt;
    const double size = high(box, hold.axis) - low(box, hold.axis);
    if (hold.row[i] == piece.id) place = i, before = sizes, own = size;
    sizes += size;
  }
  if (place == hold.row.size()) return std::nullopt;
  const double gap = (room - sizes) / static_cast<double>(hold.row.size() + 1);
  return from + before + gap * static_cast<double>(place + 1) + own * hold.own_share;
}

bool any_held(const Project& project) {
  return std::any_of(project.pieces.begin(), project.pieces.end(),
                     [](const auto& p) { return !p->holds.empty() || p->fit; });
}

/// What a piece's place or shape comes from directly.
std::set<int> comes_from(const Project& project, const Piece& piece) {
  std::set<int> out;
  for (const auto& hold : piece.holds) {
    for (const auto& anchor : hold.to) out.insert(anchor.piece);
  }
  if (piece.fit) out.insert(piece.fit->piece);
  for (const int input : depends_on(project, piece.id)) out.insert(input);
  out.erase(0);
  return out;
}

/// The pieces from `from` to `to` by what comes from what; empty where there is no way.
std::vector<int> way(const Project& project, int from, int to) {
  std::map<int, int> by;  // reached by way of
  std::vector<int> todo{from};
  by[from] = 0;
  for (std::size_t i = 0; i < todo.size(); ++i) {
    const Piece* piece = find_piece(project, todo[i]);
    if (!piece) continue;
    for (const int next : comes_from(project, *piece)) {
      if (!by.emplace(next, todo[i]).second) continue;
      todo.push_back(next);
    }
  }
  if (!by.contains(to) || from == to) return from == to ? std::vector<int>{from} : std::vector<int>{};
  std::vector<int> out;
  for (int at = to; at != 0; at = by[at]) out.push_back(at);
  return {out.rbegin(), out.rend()};
}

/// Held pieces, each after those it is held to.
std::vector<const Piece*> in_order(const Project& project) {
  std::vector<const Piece*> out;
  std::set<int> seen;
  const auto visit = [&](const auto& self, const Piece& piece) -> void {
    if (!seen.insert(piece.id).second) return;
    for (const auto& hold : piece.holds) {
      for (const auto& anchor : hold.to) {
        if (const Piece* other = find_piece(project, anchor.piece)) self(self, *other);
      }
    }
    const Piece* around = piece.fit ? find_piece(project, piece.fit->piece) : nullptr;
    if (around) self(self, *around);
    if (!piece.holds.empty() || piece.fit) out.push_back(&piece);
  };
  for (const auto& piece : project.pieces) {
    if (!piece->holds.empty() || piece->fit) visit(visit, *piece);
  }
  return out;
}

bool same_size(const Affine& a, const Affine& b) { return a.a == b.a && a.b == b.b && a.c == b.c && a.d == b.d; }

/// What hands did to held pieces, and what is held to nothing any more.
Project loosened(const Project& before, Project next, const Drawing& drawing) {
  Frames frames(next, drawing);
  for (auto& shared : next.pieces) {
    const Piece* was = find_piece(before, shared->id);
    // What is fitted and then moved or sized by hand is on its own again, unless both went alike.
    if (const auto& fit = shared->fit) {
      const Piece *around = find_piece(next, fit->piece), *around_was = find_piece(before, fit->piece);
      const bool by_hand = was && was->fit == fit && !(was->placement == shared->placement) && around && around_was &&
                           around->placement == around_was->placement;
      if (!around || by_hand) shared.edit([](Piece& p) { p.fit.reset(); });
    }
    if (shared->holds.empty()) continue;
    std::vector<Hold> holds;
    for (Hold hold : shared->holds) {
      const auto to = wanted(frames, *shared, hold);
      if (!to) {
        // Of a piece that takes long nothing is known yet.
        const bool gone = std::any_of(hold.to.begin(), hold.to.end(),
                                      [&](const Anchor& a) { return a.piece != 0 && !find_piece(next, a.piece); });
        const bool row_gone =
            std::any_of(hold.row.begin(), hold.row.end(), [&](int id) { return !find_piece(next, id); });
        if (row_gone) std::erase_if(hold.row, [&](int id) { return !find_piece(next, id); });
        if (!gone) holds.push_back(hold);
        continue;
      }
      const bool known = was && std::find(was->holds.begin(), was->holds.end(), hold) != was->holds.end();
      const bool by_hand =
          known && !(was->placement == shared->placement) && same_size(was->placement, shared->placement);
      const double off = share_of(frames.of(shared->id), hold.axis, hold.own_share) - *to;
      if (by_hand && std::abs(off) > kSettled) {
        if (!has_distance(hold)) continue;  // let go
        hold.distance_mm += off;
      }
      holds.push_back(hold);
    }
    if (holds != shared->holds) shared.edit([&](Piece& p) { p.holds = std::move(holds); });
  }
  return next;
}

/// Everything that is held brought to where it is held.
Project all_held(Project next, DrawingCache& cache, Effort effort) {
  // Shapes may change where pieces that they are cut from have followed; chains of that end soon, or are left.
  for (int round = 0; round < 8; ++round) {
    const Drawing drawing = evaluate(next, cache, effort);
    Frames frames(next, drawing);
    std::vector<std::pair<int, Vec>> moves;
    const auto held = in_order(next);
    std::set<int> waiting;
    for (const Piece* piece : held) waiting.insert(piece->id);
    for (const Piece* piece : held) {
      Vec by{};
      waiting.erase(piece->id);
      for (const auto& hold : piece->holds) {
        // A file may say that pieces are held in a circle: what closes it is passed over.
        if (std::any_of(hold.to.begin(), hold.to.end(), [&](const Anchor& a) { return waiting.contains(a.piece); }))
          continue;
        const Box own = frames.of(piece->id);
        const auto to = wanted(frames, *piece, hold);
        if (to && !own.empty()) by = by + along(hold.axis, *to - share_of(own, hold.axis, hold.own_share));
      }
      if (norm(by) <= kSettled) continue;
      frames.move(piece->id, by);
      moves.push_back({piece->id, by});
    }
    if (moves.empty()) break;
    for (const auto& [id, by] : moves) next = move_pieces(std::move(next), {id}, by);
  }
  return next;
}

std::vector<int> fitted_in_order(const Project& project) {
  std::vector<int> out;
  for (const Piece* piece : in_order(project)) {
    if (piece->fit) out.push_back(piece->id);
  }
  return out;
}

std::string name_of(const Project& project, int id) {
  const Piece* piece = find_piece(project, id);
  return piece ? piece->name : std::string();
}

std::string place_word(Axis axis, double share) {
  if (share == 0) return axis == Axis::x ? "place/left" : "place/top";
  if (share == 1) return axis == Axis::x ? "place/right" : "place/bottom";
  if (share == 0.25) return axis == Axis::x ? "place/left-half" : "place/upper-half";
  if (share == 0.75) return axis == Axis::x ? "place/right-half" : "place/lower-half";
  return "place/middle";
}

}  // namespace

std::vector<int> with_followers(const Project& project, const std::vector<int>& pieces) {
  std::map<int, std::set<int>> followers;
  for (const auto& piece : project.pieces) {
    if (piece->plain() && piece->holds.empty() && !piece->fit) continue;
    for (const int from : comes_from(project, *piece)) followers[from].insert(piece->id);
  }
  std::vector<int> out;
  std::set<int> seen;
  const auto add = [&](int id) {
    if (seen.insert(id).second) out.push_back(id);
  };
  for (const int id : pieces) add(id);
  for (std::size_t i = 0; i < out.size(); ++i) {
    for (const int id : followers[out[i]]) add(id);
  }
  return out;
}

bool has_distance(const Hold& hold) {
  return hold.row.empty() && hold.to.size() == 1 && hold.own_share != 0.5 &&
         (hold.to[0].share == 0 || hold.to[0].share == 1 || !hold.to[0].line.empty());
}

Result<Project> hold_piece(Project project, const Drawing& drawing, int piece, Hold hold) {
  const Piece* held = find_piece(project, piece);
  if (!held) return fail(ErrorKind::bad_request, {"hold-nothing"});
  for (const auto& anchor : hold.to) {
    if (anchor.piece == 0) continue;
    if (!find_piece(project, anchor.piece))
      return fail(ErrorKind::bad_request, {"hold-to-nothing", {{"piece", held->name}}});
    if (anchor.piece == piece) return fail(ErrorKind::bad_request, {"hold-to-itself", {{"piece", held->name}}});
    // The hold it has on this axis goes, so a way by that is none.
    const Project without = let_go(project, {piece}, hold.axis);
    const auto back = way(without, anchor.piece, piece);
    if (!back.empty()) {
      Said said{"hold-circle", {{"piece", held->name}, {"to", name_of(project, anchor.piece)}}};
      std::string by;
      for (std::size_t i = 1; i + 1 < back.size(); ++i)
        by += (i == 1 ? "\"" : ", \"") + name_of(project, back[i]) + "\"";
      if (!by.empty()) said.figures["by"] = by;
      return fail(ErrorKind::bad_request, std::move(said));
    }
  }
  hold.distance_mm = 0;
  Frames frames(project, drawing);
  const auto to = wanted(frames, *held, hold);
  const Box own = frames.of(piece);
  if (!to || own.empty()) return fail(ErrorKind::bad_request, {"hold-to-nothing", {{"piece", held->name}}});
  if (hold.row.empty()) {
    hold.distance_mm = share_of(own, hold.axis, hold.own_share) - *to;
    if (std::abs(hold.distance_mm) < 1e-6) hold.distance_mm = 0;
  }
  return edit_piece(std::move(project), piece, [&](Piece& p) {
    std::erase_if(p.holds, [&](const Hold& h) { return h.axis == hold.axis; });
    p.holds.push_back(hold);
  });
}

Result<Project> fit_piece(Project project, const Drawing& drawing, int piece, int inside, double margin_mm) {
  const Piece *fitted = find_piece(project, piece), *around = find_piece(project, inside);
  if (!fitted || !around || piece == inside) return fail(ErrorKind::bad_request, {"fit-choose"});
  if (!way(let_go(project, {piece}), inside, piece).empty())
    return fail(ErrorKind::bad_request, {"fit-circle", {{"piece", fitted->name}, {"around", around->name}}});
  const DrawnPiece *own = find_drawn(drawing, piece), *other = find_drawn(drawing, inside);
  if (other && other->flat->segments > kMostAround)
    return fail(ErrorKind::bad_request, {"fit-too-detailed", {{"around", around->name}}});
  if (!own || !other || !room_inside(*own, *other, margin_mm))
    return fail(ErrorKind::bad_request, {"held-no-room", {{"around", around->name}}});
  return edit_piece(let_go(std::move(project), {piece}), piece, [&](Piece& p) { p.fit = Fit{inside, margin_mm, {}}; });
}

Result<Project> hold_row(Project project, const Drawing& drawing, const std::vector<int>& pieces) {
  if (pieces.size() < 3) return fail(ErrorKind::bad_request, {"row-of-three"});
  Frames frames(project, drawing);
  Box middles;
  for (const int id : pieces) middles.add(frames.of(id).centre());
  const Axis axis = middles.width() >= middles.height() ? Axis::x : Axis::y;
  std::vector<int> row = pieces;
  std::stable_sort(row.begin(), row.end(),
                   [&](int a, int b) { return share_of(frames.of(a), axis, 0.5) < share_of(frames.of(b), axis, 0.5); });
  Hold hold;
  hold.axis = axis;
  hold.to = {{row.front(), "", 1}, {row.back(), "", 0}};
  hold.row.assign(row.begin() + 1, row.end() - 1);
  for (const int id : hold.row) {
    auto next = hold_piece(project, drawing, id, hold);
    if (!next) return next;
    project = std::move(*next);
  }
  return project;
}

Project let_go(Project project, const std::vector<int>& pieces, std::optional<Axis> axis) {
  for (const int id : pieces) {
    const Piece* piece = find_piece(project, id);
    if (!piece || (piece->holds.empty() && !piece->fit)) continue;
    project = edit_piece(std::move(project), id, [&](Piece& p) {
      if (!axis) p.fit.reset();
      std::erase_if(p.holds, [&](const Hold& hold) { return !axis || hold.axis == *axis; });
    });
  }
  return project;
}

Project set_fit_margin(Project project, int piece, double margin_mm) {
  return edit_piece(std::move(project), piece, [&](Piece& p) {
    if (p.fit) p.fit->margin_mm = margin_mm;
  });
}

Project set_held_distance(Project project, int piece, Axis axis, double distance_mm) {
  return edit_piece(std::move(project), piece, [&](Piece& p) {
    for (auto& hold : p.holds) {
      if (hold.axis == axis) hold.distance_mm = distance_mm;
    }
  });
}

Project with_held_places(const Project& before, Project next, DrawingCache& cache, Effort effort) {
  if (!any_held(next)) return next;
  const Drawing drawing = evaluate(next, cache, effort);
  next = loosened(before, std::move(next), drawing);
  next = all_held(std::move(next), cache, effort);
  // What is fitted goes inside what has its size and place by now, and what is held to it follows once more.
  bool fitted = false;
  for (const int id : fitted_in_order(next)) {
    const Fit fit = *find_piece(next, id)->fit;
    auto sized = fitted_inside(next, evaluate(next, cache, effort), id, fit, cache, effort);
    if (!sized || *sized == next) continue;
    next = std::move(*sized);
    fitted = true;
  }
  return fitted ? all_held(std::move(next), cache, effort) : next;
}

std::vector<HeldLink> held_links(const Project& project, const Drawing& drawing) {
  std::vector<HeldLink> out;
  if (!any_held(project)) return out;
  Frames frames(project, drawing, Frames::Exact::to_be_shown);
  for (const auto& piece : project.pieces) {
    const Box own = piece->holds.empty() ? Box{} : frames.of(piece->id);
    if (own.empty()) continue;
    for (const auto& hold : piece->holds) {
      const double from = share_of(own, hold.axis, hold.own_share), middle = share_of(own, other(hold.axis), 0.5);
      for (const auto& anchor : hold.to) {
        const Box box = frames.of(anchor, piece->stock);
        if (box.empty()) continue;
        // Beside the other one the link ends on its edge nearest.
        const double to = share_of(box, hold.axis, anchor.share);
        const double across = std::clamp(middle, low(box, other(hold.axis)), high(box, other(hold.axis)));
        hold.axis == Axis::x ? out.push_back({piece->id, {from, middle}, {to, across}})
                             : out.push_back({piece->id, {middle, from}, {across, to}});
      }
    }
  }
  return out;
}

Said told(const Project& project, const Hold& hold) {
  Said said;
  const auto name = [&](const Anchor& anchor) {
    return anchor.piece == 0 ? std::string() : name_of(project, anchor.piece);
  };
  if (!hold.row.empty()) {
    said.code = hold.axis == Axis::x ? "held-row/across" : "held-row/down";
    said.figures = {{"from", name(hold.to[0])}, {"to", name(hold.to[1])}};
    return said;
  }
  const std::string own = place_word(hold.axis, hold.own_share);
  if (hold.to.size() == 2) {
    const bool same = hold.to[0].piece == hold.to[1].piece;
    said.code = same ? "held-between/fold" : "held-between";
    said.figures = {{"from", name(hold.to[0])}, {"to", name(hold.to[1])}};
    return said;
  }
  const Anchor& to = hold.to.front();
  const std::string place = !to.line.empty() ? std::string("place/fold") : place_word(hold.axis, to.share);
  said.figures = {{"own", own}, {"of", place}};
  if (to.piece != 0) said.figures["piece"] = name(to);
  const double d = hold.distance_mm;
  if (d == 0) {
    said.code = to.piece == 0 ? "held-sheet" : "held";
    return said;
  }
  said.figures["distance"] = std::abs(d);
  const bool x = hold.axis == Axis::x;
  if (to.piece == 0) {
    said.code = x ? (d > 0 ? "held-sheet/right" : "held-sheet/left") : d > 0 ? "held-sheet/below" : "held-sheet/above";
  } else {
    said.code = x ? (d > 0 ? "held/right" : "held/left") : d > 0 ? "held/below" : "held/above";
  }
  return said;
}

}  // namespace dotlane
