#include "core/layout/parts.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <optional>
#include <set>
#include <tuple>

#include "core/geometry/clusters.hpp"
#include "core/geometry/failure.hpp"
#include "core/geometry/within.hpp"
#include "core/layout/pack/cells.hpp"

namespace dotlane {
namespace {

constexpr int kSureCells = 256;   // along the longer side of an outline
constexpr double kOnEdge = 0.05;  // mm: what lies along an outline is within it

struct Course {
  PartLine at;
  Role role = Role::cut;
  Polyline points;  // mm in the drawing
  Box box;
  double length = 0;
  Region region;  // what it encloses, when it is closed and cut or a guide
  double area = 0;
};

// A closed course that holds others.
struct OuterContour {
  const Course* course = nullptr;
  std::vector<const Course*> held, guides;
  std::optional<Within> ready;     // once something comes near
  std::optional<pack::Grid> sure;  // which cells of its box lie wholly within it
  double cell = 1;

  /// Whether the box surely lies within: at once, as a fill may have a million strokes.
  [[nodiscard]] bool surely_holds(const Box& b) {
    if (!sure) {
      const Box& box = course->box;
      cell = std::max(std::max(box.width(), box.height()) / kSureCells, 1e-3);
      sure.emplace(std::max(1, static_cast<int>(box.width() / cell)),
                   std::max(1, static_cast<int>(box.height() / cell)));
      const Box w = box.grown(1);
      const Region around{{{{w.x0, w.y0}, {w.x1, w.y0}, {w.x1, w.y1}, {w.x0, w.y1}}}};
      sure->take(pack::cells_of(subtract(around, course->region), {box.x0, box.y0}, cell), 0, 0);
    }
    const auto at = [&](double v, double from) { return static_cast<int>(std::floor((v - from) / cell)); };
    const int from = at(b.x0, course->box.x0), to = at(b.x1, course->box.x0);
    const int first = at(b.y0, course->box.y0), last = at(b.y1, course->box.y0);
    for (int row = first; row <= last; ++row) {
      if (sure->taken({{row, from, to}}, 0, 0) > 0) return false;
    }
    return true;
  }

  [[nodiscard]] const Within& within() {
    if (!ready) ready.emplace(offset(course->region, kOnEdge, {Corners::mitre}));
    return *ready;
  }
};

// The outline that holds most of the course, and how much of it.
std::pair<OuterContour*, double> holder_of(std::vector<OuterContour>& outlines, const Course& course) {
  std::pair<OuterContour*, double> best{nullptr, 0};
  for (auto& o : outlines) {
    if (o.course == &course) return {&o, course.length};
    if (!o.course->box.grown(kOnEdge).overlaps(course.box)) continue;
    if (o.surely_holds(course.box) || o.within().holds(course.points)) return {&o, course.length};
    const double length = o.within().length_within(course.points);
    if (length > best.second) best = {&o, length};
  }
  return best;
}

// The outermost of these: largest first, each that does not have most of its length within one before it.
std::vector<OuterContour> outermost(std::vector<const Course*> closed) {
  std::stable_sort(closed.begin(), closed.end(), [](const Course* a, const Course* b) { return a->area > b->area; });
  std::vector<OuterContour> out;
  for (const auto* course : closed) {
    if (holder_of(out, *course).second > course->length / 2) continue;
    out.emplace_back().course = course;
  }
  return out;
}

bool alike(const Course& a, const Course& b) {
  const auto near = [](double x, double y) { return std::abs(x - y) <= kOnEdge; };
  return near(a.box.x0, b.box.x0) && near(a.box.y0, b.box.y0) && near(a.box.x1, b.box.x1) && near(a.box.y1, b.box.y1) &&
         std::abs(a.area - b.area) <= kOnEdge * a.length;
}

// The outline's area without the holes that are cut into it; one that is cut twice is still a hole.
Region body_of(OuterContour& outline) {
  std::vector<const Course*> rings;
  for (const auto* c : outline.held) {
    if (c->role != Role::cut || c->area <= 0 || alike(*c, *outline.course) || !outline.within().holds(c->points))
      continue;
    const bool again = std::any_of(rings.begin(), rings.end(), [&](const Course* r) { return alike(*r, *c); });
    if (!again) rings.push_back(c);
  }
  if (rings.empty()) return outline.course->region;
  std::vector<Ring> holes;
  for (const auto* c : rings) holes.insert(holes.end(), c->region.rings.begin(), c->region.rings.end());
  return subtract(outline.course->region, region_of(holes, FillRule::evenodd));
}

/// What touches, directly or through others. Of very many small boxes those in the same small square are taken as one.
std::vector<std::vector<std::size_t>> clusters(const std::vector<Box>& boxes) {
  constexpr std::size_t kMany = 2000;
  if (boxes.size() <= kMany) return touching(boxes);
  constexpr double kSquare = kTogether / 2;
  std::map<std::pair<int, int>, std::size_t> square;
  std::vector<std::vector<std::size_t>> members;
  std::vector<Box> merged;
  for (std::size_t i = 0; i < boxes.size(); ++i) {
    const Vec c = boxes[i].centre();
    std::size_t at = merged.size();
    if (boxes[i].width() <= 2 * kTogether && boxes[i].height() <= 2 * kTogether)
      at = square
               .try_emplace({static_cast<int>(std::floor(c.x / kSquare)), static_cast<int>(std::floor(c.y / kSquare))},
                            at)
               .first->second;
    if (at == merged.size()) merged.emplace_back(), members.emplace_back();
    merged[at].add(boxes[i]);
    members[at].push_back(i);
  }
  std::vector<std::vector<std::size_t>> out;
  for (const auto& group : touching(merged)) {
    auto& all = out.emplace_back();
    for (const std::size_t k : group) all.insert(all.end(), members[k].begin(), members[k].end());
  }
  return out;
}

bool belongs(Role role) { return role != Role::guide; }

class Sorter {
 public:
  Sorter(const Project& project, const Drawing& drawing) : drawing_(drawing) {
    for (const auto& stock : stocks(project)) {
      const std::size_t before = parts_.size();
      try {
        sort(stock);
      } catch (const GeometryFailure&) {
        parts_.resize(before);
        take_whole(stock);
      }
    }
    finish();
  }
  std::vector<Part> take() { return std::move(parts_); }

 private:
  std::vector<std::string> stocks(const Project& project) const {
    std::set<std::string> wanted;
    for (const auto& d : drawing_.pieces) wanted.insert(d->piece->stock);
    std::vector<std::string> out;
    for (const auto& s : project.stocks) {
      if (wanted.erase(s.id)) out.push_back(s.id);
    }
    out.insert(out.end(), wanted.begin(), wanted.end());
    return out;
  }

  enum class Regions { none, of_closed };
  std::vector<Course> courses(const std::string& stock, Regions regions = Regions::of_closed) const {
    std::vector<Course> out;
    for (const auto& d : drawing_.pieces) {
      if (d->piece->helper || d->piece->stock != stock) continue;
      for (std::size_t l = 0; l < d->piece->lines.size(); ++l) {
        const Line& line = d->piece->lines[l];
        const Path path = transformed(*line.path, d->map);
        for (std::size_t c = 0; c < path.contours.size(); ++c) {
          Course course;
          course.at = {d->piece->id, l, c};
          course.role = line.role;
          course.points = flatten(path.contours[c], kChord);
          for (const Vec p : course.points.points) course.box.add(p);
          course.length = length_of(course.points);
          if (regions == Regions::of_closed && course.points.closed &&
              (line.role == Role::cut || line.role == Role::guide)) {
            course.region = region_of({course.points.points}, FillRule::nonzero);
            course.area = area_of(course.region);
          }
          out.push_back(std::move(course));
        }
      }
    }
    return out;
  }

  // Puts each course into the outline that holds most of it; what none holds is returned.
  static std::vector<const Course*> settle(std::vector<OuterContour>& outlines,
                                           const std::vector<const Course*>& courses) {
    std::vector<const Course*> left;
    for (const auto* c : courses) {
      OuterContour* holder = holder_of(outlines, *c).first;
      (holder ? holder->held : left).push_back(c);
    }
    return left;
  }

  // Guides go along with the outline that holds most of them; what none holds is returned.
  static std::vector<const Course*> take_along(std::vector<OuterContour>& outlines,
                                               const std::vector<const Course*>& guides) {
    std::vector<const Course*> left;
    for (const auto* c : guides) {
      OuterContour* holder = holder_of(outlines, *c).first;
      (holder ? holder->guides : left).push_back(c);
    }
    return left;
  }
  void name_guides(const OuterContour& outline) {
    for (const auto* c : outline.guides) {
      if (c != outline.course) parts_.back().guides.push_back(c->at);
    }
  }

  void sort(const std::string& stock) {
    const std::vector<Course> all = courses(stock);
    std::vector<const Course*> run, closed_cuts, guides, marks;
    for (const auto& c : all) {
      if (belongs(c.role)) run.push_back(&c);
      if (c.area > 0 && c.role == Role::cut) closed_cuts.push_back(&c);
      if (c.area > 0 && c.role == Role::guide) guides.push_back(&c);
      if (c.role == Role::guide) marks.push_back(&c);
    }
    auto cut = outermost(closed_cuts);
    auto left = settle(cut, run);
    marks = take_along(cut, marks);
    for (auto& o : cut) {
      add(stock, *o.course, o.held, body_of(o));
      name_guides(o);
    }
    if (left.empty()) return;
    auto blanks = outermost(guides);
    left = settle(blanks, left);
    take_along(blanks, marks);
    for (auto& o : blanks) {
      if (o.held.empty()) continue;
      add(stock, *o.course, o.held, o.course->region);
      name_guides(o);
    }
    for (std::size_t i = 0; i < left.size();) {  // those of a piece stand together
      std::size_t end = i;
      std::vector<Box> boxes;
      while (end < left.size() && left[end]->at.piece == left[i]->at.piece)
        boxes.push_back(left[end++]->box.grown(kTogether / 2));
      for (auto& cluster : clusters(boxes)) {
        std::sort(cluster.begin(), cluster.end());
        std::vector<const Course*> held;
        for (const std::size_t k : cluster) held.push_back(left[i + k]);
        add(stock, *held.front(), held, {});
      }
      i = end;
    }
  }

  void take_whole(const std::string& stock) {
    const std::vector<Course> all = courses(stock, Regions::none);
    for (std::size_t i = 0; i < all.size();) {
      std::vector<const Course*> held;
      const int piece = all[i].at.piece;
      for (; i < all.size() && all[i].at.piece == piece; ++i) {
        if (belongs(all[i].role)) held.push_back(&all[i]);
      }
      if (held.empty()) continue;
      add(stock, *held.front(), held, {});
      parts_.back().unsure = true;
    }
  }

  void add(const std::string& stock, const Course& first, const std::vector<const Course*>& held, Region body) {
    Part part;
    const Piece& piece = *find_drawn(drawing_, first.at.piece)->piece;
    part.key = {piece.id, piece.lines[first.at.line].id, first.at.contour};
    part.name = piece.name;
    part.stock = stock;
    part.reach = bounds_of(body);
    part.body = std::move(body);
    part.first = first.at;
    part.area_mm2 = area_of(part.body);
    for (const auto* c : held) {
      part.lines.push_back(c->at);
      part.reach.add(c->box);
    }
    part.centre = part.body.empty() ? part.reach.centre() : centre_of(part.body);
    parts_.push_back(std::move(part));
  }

  // Into the order of the drawing, numbered and named.
  void finish() {
    std::map<int, std::size_t> rank;
    for (const auto& d : drawing_.pieces) rank.emplace(d->piece->id, rank.size());
    std::vector<std::size_t> order(parts_.size());
    for (std::size_t i = 0; i < order.size(); ++i) order[i] = i;
    auto place = [&](std::size_t i) {
      const PartLine& first = parts_[i].first;
      return std::tuple(rank.at(first.piece), first.line, first.contour);
    };
    std::sort(order.begin(), order.end(), [&](std::size_t a, std::size_t b) { return place(a) < place(b); });
    std::map<std::string, int> called, so_far;
    for (const auto& part : parts_) ++called[part.name];
    std::vector<Part> out;
    for (const std::size_t i : order) {
      Part& part = parts_[i];
      part.number = static_cast<int>(out.size()) + 1;
      if (called[part.name] > 1) part.name += " " + std::to_string(++so_far[part.name]);
      out.push_back(std::move(part));
    }
    parts_ = std::move(out);
  }

  const Drawing& drawing_;
  std::vector<Part> parts_;
};

}  // namespace

std::vector<Part> parts_of(const Project& project, const Drawing& drawing) { return Sorter(project, drawing).take(); }

}  // namespace dotlane
