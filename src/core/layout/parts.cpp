#include "core/layout/parts.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <optional>
#include <set>
#include <tuple>
#include <unordered_map>

#include "core/geometry/buckets.hpp"
#include "core/geometry/clusters.hpp"
#include "core/geometry/failure.hpp"
#include "core/geometry/region_edges.hpp"
#include "core/layout/pack/cells.hpp"

namespace dotlane {
namespace {

constexpr int kSureCells = 256;   // along the longer side of an outline
constexpr double kOnEdge = 0.05;  // mm: what lies along an outline is within it

// A contour as it is drawn, where it stands aside: copies of a pattern share it.
struct Form {
  Polyline polyline;  // turned and sized, not moved
  Box box;
  double length = 0;
  Shared<Region> region;  // what it encloses, when it is closed and cut or a guide
  double area = 0;
};

struct Course {
  PartLine at;
  Role role = Role::cut;
  std::shared_ptr<const Form> form;
  Vec moved;  // mm, to where it is in the drawing
  Box box;
  double length = 0, area = 0;  // the form's
  [[nodiscard]] Affine map() const { return Affine::move(moved.x, moved.y); }
  [[nodiscard]] Polyline points() const { return transformed(form->polyline, map()); }
  [[nodiscard]] Region region() const {
    return moved.x == 0 && moved.y == 0 ? *form->region : transformed(*form->region, map());
  }
};

// What a form holds, once something comes near.
class Inside {
 public:
  explicit Inside(const Form& form) : form_(form) {}

  // Whether the box surely lies within: at once, as a fill may have a million strokes.
  [[nodiscard]] bool surely_holds(const Box& b) {
    const Box& box = form_.box;
    if (!sure_) {
      cell_ = std::max(std::max(box.width(), box.height()) / kSureCells, 1e-3);
      sure_.emplace(std::max(1, static_cast<int>(box.width() / cell_)),
                    std::max(1, static_cast<int>(box.height() / cell_)));
      sure_->take(pack::cells_beyond(*form_.region, {box.x0, box.y0}, cell_, sure_->width(), sure_->height()), 0, 0);
    }
    const auto at = [&](double v, double from) { return static_cast<int>(std::floor((v - from) / cell_)); };
    const int from = at(b.x0, box.x0), to = at(b.x1, box.x0);
    const int first = at(b.y0, box.y0), last = at(b.y1, box.y0);
    for (int row = first; row <= last; ++row) {
      if (sure_->taken({{row, from, to}}, 0, 0) > 0) return false;
    }
    return true;
  }

  [[nodiscard]] const RegionEdges& edges() {
    if (!ready_) ready_.emplace(offset(*form_.region, kOnEdge, {Corners::mitre}));
    return *ready_;
  }

 private:
  const Form& form_;
  std::optional<RegionEdges> ready_;
  std::optional<pack::Grid> sure_;  // which cells of its box do not lie wholly within it
  double cell_ = 1;
};

// A closed course that holds others.
struct OuterContour {
  const Course* course = nullptr;
  std::shared_ptr<Inside> inside;
  std::vector<const Course*> held, guides;

  [[nodiscard]] bool holds(const Course& other) const {
    const Vec by = course->moved * -1;
    const Box b = other.box;
    return inside->surely_holds({b.x0 + by.x, b.y0 + by.y, b.x1 + by.x, b.y1 + by.y}) ||
           inside->edges().holds(seen(other));
  }
  [[nodiscard]] double length_within(const Course& other) const { return inside->edges().length_within(seen(other)); }

 private:
  // Where the other one is for the form.
  [[nodiscard]] Polyline seen(const Course& other) const {
    const Vec by = other.moved - course->moved;
    return by.x == 0 && by.y == 0 ? other.form->polyline : transformed(other.form->polyline, Affine::move(by.x, by.y));
  }
};

// The outermost of closed courses: largest first, each that does not have most of its length within one before it.
class Outlines {
 public:
  explicit Outlines(std::vector<const Course*> closed) : index_(bounds_of(closed), closed.size()) {
    std::stable_sort(closed.begin(), closed.end(), [](const Course* a, const Course* b) { return a->area > b->area; });
    std::map<const Form*, std::shared_ptr<Inside>> insides;
    for (const auto* course : closed) {
      const Asked& asked = asked_.emplace(course, ask(*course, {})).first->second;
      if (asked.length > course->length / 2) continue;
      auto& inside = insides[course->form.get()];
      if (!inside) inside = std::make_shared<Inside>(*course->form);
      index_.each(course->box.grown(kOnEdge),
                  [&](std::vector<int>& cell) { cell.push_back(static_cast<int>(all_.size())); });
      all_.push_back({course, inside, {}, {}});
    }
  }
  // The one that holds most of the course, and how much of it.
  std::pair<OuterContour*, double> holder_of(const Course& course) {
    const auto known = asked_.find(&course);
    const Asked asked = ask(course, known == asked_.end() ? Asked{} : known->second);
    return {asked.whole || asked.length > 0 ? &all_[asked.holder] : nullptr, asked.length};
  }
  [[nodiscard]] auto begin() { return all_.begin(); }
  [[nodiscard]] auto end() { return all_.end(); }

 private:
  // The outline that holds most of a course, of the first `outlines` of them.
  struct Asked {
    std::size_t holder = 0;
    double length = 0;  // that it holds
    bool whole = false;
    std::size_t outlines = 0;
  };
  // The same for all outlines there are.
  Asked ask(const Course& course, Asked asked) {
    if (asked.whole) return asked;
    std::vector<int> near;
    index_.each(course.box, [&](const std::vector<int>& cell) { near.insert(near.end(), cell.begin(), cell.end()); });
    std::sort(near.begin(), near.end());
    near.erase(std::unique(near.begin(), near.end()), near.end());
    for (const int i : near) {
      const auto at = static_cast<std::size_t>(i);
      if (at < asked.outlines) continue;
      OuterContour& o = all_[at];
      if (o.course != &course && !o.course->box.grown(kOnEdge).overlaps(course.box)) continue;
      if (o.course == &course || o.holds(course)) return {at, course.length, true, all_.size()};
      const double length = o.length_within(course);
      if (length > asked.length) asked.holder = at, asked.length = length;
    }
    asked.outlines = all_.size();
    return asked;
  }
  static Box bounds_of(const std::vector<const Course*>& courses) {
    Box out;
    for (const auto* c : courses) out.add(c->box);
    return out;
  }
  std::vector<OuterContour> all_;
  std::unordered_map<const Course*, Asked> asked_;
  Buckets index_;
};

bool alike(const Course& a, const Course& b) {
  const auto near = [](double x, double y) { return std::abs(x - y) <= kOnEdge; };
  return near(a.box.x0, b.box.x0) && near(a.box.y0, b.box.y0) && near(a.box.x1, b.box.x1) && near(a.box.y1, b.box.y1) &&
         std::abs(a.area - b.area) <= kOnEdge * a.length;
}

// An area, and where it is in the drawing.
struct Body {
  Shared<Region> shape;
  Affine at;
};

// The areas of outlines without the holes that are cut into them; one that is cut twice is still a hole. Copies of a
// pattern, holes and all, share theirs.
class Bodies {
 public:
  Body of(OuterContour& outline) {
    std::vector<const Course*> rings;
    for (const auto* c : outline.held) {
      if (c->role != Role::cut || c->area <= 0 || alike(*c, *outline.course) || !outline.holds(*c)) continue;
      const bool again = std::any_of(rings.begin(), rings.end(), [&](const Course* r) { return alike(*r, *c); });
      if (!again) rings.push_back(c);
    }
    const Course& own = *outline.course;
    if (rings.empty()) return {own.form->region, own.map()};
    Key key{{own.form.get(), 0, 0}};
    for (const auto* c : rings) {
      const Vec by = c->moved - own.moved;
      key.emplace_back(c->form.get(), std::llround(by.x / kSame), std::llround(by.y / kSame));
    }
    const auto [known, fresh] = known_.try_emplace(std::move(key));
    if (fresh) {
      std::vector<Ring> holes;
      for (const auto* c : rings) {
        const Vec by = c->moved - own.moved;
        const Region hole = transformed(*c->form->region, Affine::move(by.x, by.y));
        holes.insert(holes.end(), hole.rings.begin(), hole.rings.end());
      }
      known->second = subtract(*own.form->region, openings_of(holes));
    }
    return {known->second, own.map()};
  }

 private:
  static constexpr double kSame = 1e-6;  // mm
  using Key = std::vector<std::tuple<const Form*, long long, long long>>;
  std::map<Key, Shared<Region>> known_;
};

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
  static std::vector<std::shared_ptr<const Form>> forms_of(const Path& path, bool regions) {
    std::vector<std::shared_ptr<const Form>> out;
    for (const auto& contour : path.contours) {
      Form form;
      form.polyline = flatten(contour, kChord);
      for (const Vec p : form.polyline.points) form.box.add(p);
      form.length = length_of(form.polyline);
      if (regions && form.polyline.closed) {
        form.region = region_of({form.polyline.points}, FillRule::nonzero);
        form.area = area_of(*form.region);
      }
      out.push_back(std::make_shared<const Form>(std::move(form)));
    }
    return out;
  }

  std::vector<Course> courses(const std::string& stock, Regions regions = Regions::of_closed) const {
    std::vector<Course> out;
    using Key = std::tuple<const Path*, double, double, double, double, bool>;
    std::map<Key, std::vector<std::shared_ptr<const Form>>> shared;
    for (const auto& d : drawing_.pieces) {
      if (d->piece->helper || d->piece->stock != stock) continue;
      std::map<const Path*, int> sharing;
      for (const auto& line : d->piece->lines) ++sharing[&*line.path];
      for (std::size_t l = 0; l < d->piece->lines.size(); ++l) {
        const Line& line = d->piece->lines[l];
        const bool bounds = regions == Regions::of_closed && (line.role == Role::cut || line.role == Role::guide);
        Affine map = d->map * line.at;
        std::vector<std::shared_ptr<const Form>> forms;
        Vec moved;
        if (sharing[&*line.path] > 1) {
          moved = {map.e, map.f};
          map.e = map.f = 0;
          const auto [known, fresh] = shared.try_emplace({&*line.path, map.a, map.b, map.c, map.d, bounds});
          if (fresh) known->second = forms_of(transformed(*line.path, map), bounds);
          forms = known->second;
        } else {
          forms = forms_of(transformed(*line.path, map), bounds);
        }
        for (std::size_t c = 0; c < forms.size(); ++c) {
          const Form& form = *forms[c];
          const Box& b = form.box;
          out.push_back({{d->piece->id, l, c},
                         line.role,
                         forms[c],
                         moved,
                         {b.x0 + moved.x, b.y0 + moved.y, b.x1 + moved.x, b.y1 + moved.y},
                         form.length,
                         form.area});
        }
      }
    }
    return out;
  }

  // Puts each course into the outline that holds most of it; what none holds is returned.
  static std::vector<const Course*> settle(Outlines& outlines, const std::vector<const Course*>& courses) {
    std::vector<const Course*> left;
    for (const auto* c : courses) {
      OuterContour* holder = outlines.holder_of(*c).first;
      (holder ? holder->held : left).push_back(c);
    }
    return left;
  }

  // Guides go along with the outline that holds most of them; what none holds is returned.
  static std::vector<const Course*> take_along(Outlines& outlines, const std::vector<const Course*>& guides) {
    std::vector<const Course*> left;
    for (const auto* c : guides) {
      OuterContour* holder = outlines.holder_of(*c).first;
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
    Outlines cut(closed_cuts);
    auto left = settle(cut, run);
    marks = take_along(cut, marks);
    Bodies bodies;
    for (auto& o : cut) {
      add(stock, *o.course, o.held, bodies.of(o));
      name_guides(o);
    }
    if (left.empty()) return;
    Outlines blanks(guides);
    left = settle(blanks, left);
    take_along(blanks, marks);
    for (auto& o : blanks) {
      if (o.held.empty()) continue;
      add(stock, *o.course, o.held, {o.course->form->region, o.course->map()});
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

  void add(const std::string& stock, const Course& first, const std::vector<const Course*>& held, Body body) {
    Part part;
    const Piece& piece = *find_drawn(drawing_, first.at.piece)->piece;
    part.key = {piece.id, piece.lines[first.at.line].id, first.at.contour};
    part.name = piece.name;
    part.stock = stock;
    part.shape = std::move(body.shape), part.at = body.at;
    const Region area = part.body();
    part.reach = bounds_of(area);
    part.first = first.at;
    part.area_mm2 = area_of(area);
    for (const auto* c : held) {
      part.lines.push_back(c->at);
      part.reach.add(c->box);
    }
    part.centre = area.empty() ? part.reach.centre() : centre_of(area);
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
