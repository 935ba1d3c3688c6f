#include "core/shape/ready.hpp"

#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/geometry/measure.hpp"
#include "core/geometry/refit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/pieced.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kPi = std::numbers::pi;

/// A pen that walks along straight lines and arcs.
class Walk {
 public:
  explicit Walk(Vec start) : at_(start) { contour_.start = start; }
  Walk& to(double x, double y) {
    if (!(Vec{x, y} == at_)) contour_.segments.push_back(Segment::line({x, y}));
    at_ = {x, y};
    return *this;
  }
  /// A circular arc of this radius; `clockwise` as seen.
  Walk& arc(double radius, bool clockwise, double x, double y, bool large = false) {
    if (radius <= 0) return to(x, y);
    append_arc(contour_.segments, at_, radius, radius, 0, large, clockwise, {x, y}, 1);
    at_ = {x, y};
    return *this;
  }
  Walk& curve(Vec c1, Vec c2, Vec end) {
    contour_.segments.push_back(Segment::cubic(c1, c2, end));
    at_ = end;
    return *this;
  }
  Contour close() {
    to(contour_.start.x, contour_.start.y);
    contour_.segments.back().end = contour_.start;
    contour_.closed = true;
    return contour_;
  }
  Contour open() { return contour_; }

 private:
  Contour contour_;
  Vec at_;
};

Line line_of(std::string id, Role role, std::vector<Contour> contours) {
  Line out;
  out.id = std::move(id);
  out.role = role;
  out.color = {34, 34, 34};
  out.path = Path{std::move(contours), FillRule::nonzero};
  return out;
}

Contour rectangle(double x, double y, double w, double h, double radius = 0) {
  const double r = std::clamp(radius, 0.0, std::min(w, h) / 2);
  return Walk({x + r, y})
      .to(x + w - r, y)
      .arc(r, true, x + w, y + r)
      .to(x + w, y + h - r)
      .arc(r, true, x + w - r, y + h)
      .to(x + r, y + h)
      .arc(r, true, x, y + h - r)
      .to(x, y + r)
      .arc(r, true, x + r, y)
      .close();
}

Contour around(Vec centre, const std::vector<Vec>& points) {
  Walk walk(centre + points.front());
  for (const Vec p : points) walk.to(centre.x + p.x, centre.y + p.y);
  return walk.close();
}

Contour star(Vec centre, int points, double outer, double inner) {
  std::vector<Vec> p;
  for (int i = 0; i < 2 * points; ++i) {
    const double a = -kPi / 2 + kPi * i / points, r = i % 2 == 0 ? outer : inner;
    p.push_back({r * std::cos(a), r * std::sin(a)});
  }
  return around(centre, p);
}

/// Two shoulders whose tangents are level at the top and upright at the sides, meeting in a dip and a point.
Contour heart(double w, double h, double dip) {
  const double m = w / 2, d = dip / 100 * h, side = h * 0.33;
  return Walk({m, d})
      .curve({m + w * 0.06, d * 0.35}, {m + w * 0.14, 0}, {m + w * 0.25, 0})
      .curve({m + w * 0.40, 0}, {w, side * 0.42}, {w, side})
      .curve({w, h * 0.60}, {m + w * 0.16, h * 0.80}, {m, h})
      .curve({m - w * 0.16, h * 0.80}, {0, h * 0.60}, {0, side})
      .curve({0, side * 0.42}, {m - w * 0.40, 0}, {m - w * 0.25, 0})
      .curve({m - w * 0.14, 0}, {m - w * 0.06, d * 0.35}, {m, d})
      .close();
}

Contour leaf(double w, double h) {
  const double radius = (w * w / 4 + h * h / 4) / w;  // of the circle through both tips and the widest place
  const bool large = w > h;
  return Walk({w / 2, 0}).arc(radius, true, w / 2, h, large).arc(radius, true, w / 2, 0, large).close();
}

/// A plate: corners bitten by quarter rounds, the middle of each side bulging in a half round.
Contour plate(double x, double y, double w, double h, double bite, double bump) {
  const double b = std::clamp(bite, 0.0, std::min(w, h) / 2 - 0.01);
  const double r = std::clamp(bump, 0.0, std::min(w, h) / 2 - b);
  const double cx = x + w / 2, cy = y + h / 2;
  return Walk({x + b, y})
      .to(cx - r, y)
      .arc(r, true, cx + r, y)
      .to(x + w - b, y)
      .arc(b, false, x + w, y + b)
      .to(x + w, cy - r)
      .arc(r, true, x + w, cy + r)
      .to(x + w, y + h - b)
      .arc(b, false, x + w - b, y + h)
      .to(cx + r, y + h)
      .arc(r, true, cx - r, y + h)
      .to(x + b, y + h)
      .arc(b, false, x, y + h - b)
      .to(x, cy + r)
      .arc(r, true, x, cy - r)
      .to(x, y + b)
      .arc(b, false, x + b, y)
      .close();
}

/// A fold from `a` to `b`: one scored line, or ticks at its ends, or dashes that begin and end with a dash.
Line fold_line(std::string id, Vec a, Vec b, const Reading& take) {
  const double past = take.number("past"), length = distance(a, b);
  const Vec u = length > 0 ? (b - a) * (1 / length) : Vec{};
  std::vector<Contour> out;
  auto stroke = [&](double from, double to) {
    const Vec p = a + u * from, q = a + u * to;
    out.push_back(Walk(p).to(q.x, q.y).open());
  };
  if (take.is("fold", "mark")) {
    const double tick = std::min(4.0, length / 4);
    stroke(-past, tick), stroke(length - tick, length + past);
    return line_of(std::move(id), Role::draw, std::move(out));
  }
  if (take.is("fold", "perforate")) {
    const double dash = take.number("dash"), gap = take.number("gap"), whole = length + 2 * past;
    const int n = std::max(1, static_cast<int>(std::lround((whole - dash) / (dash + gap))));
    const double scale = whole / (n * (dash + gap) + dash);
    for (int i = 0; i <= n; ++i) {
      const double at = -past + i * scale * (dash + gap);
      stroke(at, at + scale * dash);
    }
    return line_of(std::move(id), Role::cut, std::move(out));
  }
  stroke(-past, length + past);
  return line_of(std::move(id), Role::score, std::move(out));
}

std::vector<Line> folding_card(const Reading& take) {
  const bool two = take.is("folds", "two"), up = take.is("opens", "up");
  const double w = take.number("width"), h = take.number("height");
  const int panels = two ? 3 : 2;
  const double bw = up ? w : panels * w, bh = up ? panels * h : h;
  std::vector<Line> out{line_of("blank", Role::cut, {rectangle(0, 0, bw, bh, take.number("radius"))})};
  for (int i = 1; i < panels; ++i) {
    const std::string id = two ? "fold-" + std::to_string(i) : "fold";
    const Vec a = up ? Vec{0, i * h} : Vec{i * w, 0}, b = up ? Vec{w, i * h} : Vec{i * w, h};
    out.push_back(fold_line(id, a, b, take));
  }
  return out;
}

/// The stretches of the level line at `y` that lie inside the region.
std::vector<std::pair<double, double>> inside_at(const Region& region, double y) {
  std::vector<double> x;
  for (const auto& ring : region.rings) {
    for (std::size_t i = 0; i < ring.size(); ++i) {
      const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
      if ((a.y > y) != (b.y > y)) x.push_back(a.x + (b.x - a.x) * (y - a.y) / (b.y - a.y));
    }
  }
  std::sort(x.begin(), x.end());
  std::vector<std::pair<double, double>> out;
  for (std::size_t i = 0; i + 1 < x.size(); i += 2) out.push_back({x[i], x[i + 1]});
  return out;
}

std::vector<Line> shaped_card(const Reading& take, Sayings& trouble) {
  constexpr double kLeastJoin = 20;  // mm of fold that hold a card together (common practice, no published source)
  const double w = take.number("width"), h = take.number("height"), overlap = take.number("overlap");
  const std::string outline = take.text("outline");
  const Contour front = outline == "leaf"      ? leaf(w, h)
                        : outline == "ellipse" ? ellipse({w / 2, h / 2}, w / 2, h / 2)
                        : outline == "star"    ? star({w / 2, h / 2}, 5, std::min(w, h) / 2, std::min(w, h) * 0.225)
                        : outline == "label"   ? plate(0, 0, w, h, std::min(w, h) / 8, std::min(w, h) / 10)
                                               : heart(w, h, 18);
  // The fold lies `overlap` below the top of the silhouette; the back is its reflection there.
  Box box;
  const Region shape = region_of(Path{{front}, FillRule::nonzero});
  box = bounds_of(shape);
  const double fold = box.y0 + std::min(overlap, box.height() / 2);
  const Region lower = intersect(
      shape, region_of(
                 std::vector<Ring>{
                     {{box.x0 - 1, fold}, {box.x1 + 1, fold}, {box.x1 + 1, box.y1 + 1}, {box.x0 - 1, box.y1 + 1}}},
                 FillRule::nonzero));
  const Region upper = transformed(lower, Affine::move(0, 2 * fold) * Affine::scale(1, -1));
  Region both = unite({lower, upper});
  const double top = bounds_of(both).y0;
  both = transformed(both, Affine::move(-box.x0, -top));
  const double at = fold - top;
  std::vector<Line> out{line_of("blank", Role::cut, refit(both).contours)};
  double joined = 0;
  int number = 0;
  for (const auto& [from, to] : inside_at(both, at + 1e-6)) {
    joined += to - from;
    ++number;
    out.push_back(fold_line(number == 1 ? "fold" : "fold-" + std::to_string(number), {from, at}, {to, at}, take));
  }
  if (parts_of(both).size() > 1) {
    trouble = {{"card-apart", {{"parts", static_cast<double>(parts_of(both).size())}}}};
  } else if (joined < kLeastJoin) {
    trouble = {{"card-joined", {{"joined", joined}, {"least", kLeastJoin}}}};
  }
  return out;
}

std::pair<double, double> badge_sizes(const Reading& take) {
  if (take.is("size", "25")) return {25, 35};
  if (take.is("size", "37")) return {37, 49};
  if (take.is("size", "58")) return {58, 70};
  return {take.number("visible"), take.number("cut")};
}

std::vector<Line> badge(const Reading& take, Sayings& trouble) {
  const auto [visible, cut] = badge_sizes(take);
  if (cut <= visible) trouble = {{"badge-sizes"}};
  const Vec c{cut / 2, cut / 2};
  std::vector<Line> out{line_of("disc", Role::cut, {ellipse(c, cut / 2, cut / 2)}),
                        line_of("face", Role::guide, {ellipse(c, visible / 2, visible / 2)})};
  const double clear = visible / 2 - take.number("margin");
  if (clear > 0) out.push_back(line_of("text-limit", Role::guide, {ellipse(c, clear, clear)}));
  return out;
}

std::vector<Line> envelope(const Reading& take) {
  const double w = take.number("card-width") + 2 * take.number("room"),
               h = take.number("card-height") + 2 * take.number("room");
  const double side = take.number("flap"), top = h * 0.55, bottom = h * 0.95, lip = std::min(10.0, side / 3);
  const double x0 = side, y0 = top, x1 = side + w, y1 = top + h;
  Walk walk({x0, y0});
  walk.to(x0 + w * 0.12, 6)
      .arc(10, true, x0 + w * 0.12 + 8, 0)
      .to(x1 - w * 0.12 - 8, 0)
      .arc(10, true, x1 - w * 0.12, 6)
      .to(x1, y0);
  walk.to(x1 + side - lip, y0 + lip)
      .arc(lip, true, x1 + side, y0 + 2 * lip)
      .to(x1 + side, y1 - 2 * lip)
      .arc(lip, true, x1 + side - lip, y1 - lip)
      .to(x1, y1);
  walk.to(x1 - w * 0.06, y1 + bottom).to(x0 + w * 0.06, y1 + bottom).to(x0, y1);
  walk.to(x0 - side + lip, y1 - lip)
      .arc(lip, true, x0 - side, y1 - 2 * lip)
      .to(x0 - side, y0 + 2 * lip)
      .arc(lip, true, x0 - side + lip, y0 + lip);
  std::vector<Line> out{line_of("blank", Role::cut, {walk.close()})};
  out.push_back(line_of("folds", Role::score,
                        {Walk({x0, y0}).to(x1, y0).open(), Walk({x1, y0}).to(x1, y1).open(),
                         Walk({x1, y1}).to(x0, y1).open(), Walk({x0, y1}).to(x0, y0).open()}));
  return out;
}

std::vector<Line> box(const Reading& take) {
  const double play = take.is("piece", "lid") ? take.number("play") : 0;
  const double l = take.number("length") + play, w = take.number("width") + play, d = take.number("depth");
  const double tab = std::min(take.number("tab"), w / 2), slope = std::min(tab, d) * 0.35;
  const double x0 = d, x1 = d + l, y0 = d, y1 = d + w, xe = l + 2 * d, ye = w + 2 * d;
  // Walls on four sides; the walls left and right carry the tabs.
  Walk walk({x0, 0});
  walk.to(x1, 0).to(x1, y0);
  walk.to(x1 + slope, y0 - tab)
      .to(xe - slope, y0 - tab)
      .to(xe, y0)
      .to(xe, y1)
      .to(xe - slope, y1 + tab)
      .to(x1 + slope, y1 + tab)
      .to(x1, y1);
  walk.to(x1, ye).to(x0, ye).to(x0, y1);
  walk.to(x0 - slope, y1 + tab)
      .to(slope, y1 + tab)
      .to(0, y1)
      .to(0, y0)
      .to(slope, y0 - tab)
      .to(x0 - slope, y0 - tab)
      .to(x0, y0);
  std::vector<Line> out{line_of("blank", Role::cut, {walk.close()})};
  out.push_back(
      line_of("folds", Role::score,
              {Walk({x0, y0}).to(x1, y0).open(), Walk({x1, y0}).to(x1, y1).open(), Walk({x1, y1}).to(x0, y1).open(),
               Walk({x0, y1}).to(x0, y0).open(), Walk({0, y0}).to(x0, y0).open(), Walk({0, y1}).to(x0, y1).open(),
               Walk({x1, y0}).to(xe, y0).open(), Walk({x1, y1}).to(xe, y1).open()}));
  return out;
}

std::vector<Line> tag(const Reading& take, Sayings& trouble) {
  constexpr double kLeastRim = 2;  // mm above a hole (common practice, no published source)
  const double w = take.number("width"), h = take.number("height"), hole = take.number("hole"),
               at = take.number("hole-from-end");
  const double c = std::clamp(take.number("corner"), 0.0, std::min(w / 2 - 0.01, h));
  std::vector<Line> out{
      line_of("outline", Role::cut, {Walk({c, 0}).to(w - c, 0).to(w, c).to(w, h).to(0, h).to(0, c).close()})};
  if (hole > 0) {
    out.push_back(line_of("hole", Role::cut, {ellipse({w / 2, at}, hole / 2, hole / 2)}));
    const double rim = at - hole / 2;
    if (rim < kLeastRim) trouble = {{"tag-rim", {{"rim", std::max(rim, 0.0)}, {"least", kLeastRim}}}};
  }
  return out;
}

Contour wave(double w, double rise, int waves) {
  // Quarter waves as cubics: the sine's own slope on the middle line, level at the crests.
  const double quarter = w / (4 * waves), middle = rise / 2, slope = kPi / 2 * middle / quarter;
  Walk walk({0, middle});
  for (int i = 0; i < 4 * waves; ++i) {
    const double x = i * quarter, up = i % 4 < 2 ? -1 : 1;
    const double crest = middle + up * middle;
    if (i % 2 == 0) {
      walk.curve({x + quarter / 3, middle + up * slope * quarter / 3}, {x + quarter * 0.637, crest},
                 {x + quarter, crest});
    } else {
      walk.curve({x + quarter * 0.363, crest}, {x + quarter * 2 / 3, middle + up * slope * quarter / 3},
                 {x + quarter, middle});
    }
  }
  return walk.open();
}

Contour scallop(double w, double h, double bump, bool outward) {
  const int nx = std::max(1, static_cast<int>(std::lround(w / bump))),
            ny = std::max(1, static_cast<int>(std::lround(h / bump)));
  const double bx = w / nx, by = h / ny;
  Walk walk({0, 0});
  for (int i = 1; i <= nx; ++i) walk.arc(bx / 2, outward, i * bx, 0);
  for (int i = 1; i <= ny; ++i) walk.arc(by / 2, outward, w, i * by);
  for (int i = nx - 1; i >= 0; --i) walk.arc(bx / 2, outward, i * bx, h);
  for (int i = ny - 1; i >= 0; --i) walk.arc(by / 2, outward, 0, i * by);
  return walk.close();
}

/// What goes around a cone's frustum, rolled out: a sector of a ring whose arcs are as long as its circles are round.
/// Of a cylinder it is a rectangle. The overlap is added at one end, as wide all along.
Contour frustum_wrap(double top, double bottom, double tall, double overlap) {
  const double wide = std::max(top, bottom), narrow = std::min(top, bottom);
  const double slant = std::hypot(tall, (wide - narrow) / 2);
  if (wide - narrow < 1e-3 * wide) return rectangle(0, 0, kPi * wide + overlap, slant);
  const double outer = slant * wide / (wide - narrow), inner = outer - slant;
  const double angle = std::min(kPi * wide / outer + overlap / outer, 2 * kPi * 0.999);
  // Upright about its middle, the wide side where it is on the glass.
  const double sign = top >= bottom ? -1 : 1;
  std::vector<Vec> corners;
  for (const auto& [r, a] : {std::pair(outer, -angle / 2), std::pair(outer, angle / 2), std::pair(inner, angle / 2),
                             std::pair(inner, -angle / 2)})
    corners.push_back({r * std::sin(a), sign * r * std::cos(a)});
  const bool large = angle > kPi;
  Contour c = Walk(corners[0])
                  .arc(outer, sign < 0, corners[1].x, corners[1].y, large)
                  .to(corners[2].x, corners[2].y)
                  .arc(inner, sign > 0, corners[3].x, corners[3].y, large)
                  .close();
  const Box box = bounds_of(Path{{c}, FillRule::nonzero});
  return transformed(Path{{c}, FillRule::nonzero}, Affine::move(-box.x0, -box.y0)).contours.front();
}

std::vector<Line> blank(const Reading& take, Sayings& trouble) {
  const double across = take.number("across"), radius = take.number("radius");
  std::vector<Line> out;
  Contour edge = take.is("form", "disc")   ? ellipse({across / 2, across / 2}, across / 2, across / 2)
                 : take.is("form", "tile") ? rectangle(0, 0, across, across, radius)
                 : take.is("form", "tag")  ? rectangle(0, 0, take.number("width"), take.number("height"), radius)
                                          : frustum_wrap(take.number("top"), take.number("bottom"), take.number("tall"),
                                                         take.number("overlap"));
  out.push_back(line_of("edge", Role::guide, {edge}));
  Region inside = offset(region_of(*out.front().path), -take.number("margin"));
  if (take.is("form", "tag") && take.number("hole") > 0) {
    const double r = take.number("hole") / 2;
    const Contour hole = ellipse({take.number("width") / 2, take.number("hole-from-end")}, r, r);
    out.push_back(line_of("hole", Role::guide, {hole}));
    inside = subtract(inside, offset(region_of(Path{{hole}, FillRule::nonzero}), take.number("margin")));
  }
  if (inside.empty()) {
    trouble = {{"blank-margin"}};
  } else if (take.number("margin") > 0) {
    out.push_back(line_of("safe", Role::guide, refit(inside).contours));
    out.back().dashed = true;
  }
  return out;
}

}  // namespace

BadgeFace badge_face(const Values& values) {
  const Reading take(*find_kind(shape_kinds(), "badge"), values);
  const auto [visible, cut] = badge_sizes(take);
  return {visible, cut, visible / 2 - take.number("margin")};
}

std::vector<Line> ready_shape(const std::string& kind, const Values& values, Sayings& trouble) {
  const KindSpec* spec = find_kind(shape_kinds(), kind);
  if (!spec) return {};
  const Reading take(*spec, values);
  const double w = take.number("width"), h = take.number("height");
  auto one = [](Role role, Contour c) { return std::vector<Line>{line_of("outline", role, {std::move(c)})}; };
  if (kind == "rectangle") return one(Role::cut, rectangle(0, 0, w, h, take.number("radius")));
  if (kind == "ellipse") return one(Role::cut, ellipse({w / 2, h / 2}, w / 2, h / 2));
  if (kind == "polygon" || kind == "star") {
    const double r = take.number("across") / 2;
    const int n = take.count(kind == "star" ? "points" : "sides");
    if (kind == "star") return one(Role::cut, star({r, r}, n, r, r * take.number("notch") / 100));
    std::vector<Vec> p;
    for (int i = 0; i < n; ++i) p.push_back({r * std::sin(2 * kPi * i / n), -r * std::cos(2 * kPi * i / n)});
    return one(Role::cut, around({r, r}, p));
  }
  if (kind == "heart") return one(Role::cut, heart(w, h, take.number("dip")));
  if (kind == "leaf") {
    auto out = one(Role::cut, leaf(w, h));
    if (take.flag("vein"))
      out.push_back(line_of("vein", Role::score, {Walk({w / 2, h * 0.08}).to(w / 2, h * 0.92).open()}));
    return out;
  }
  if (kind == "ring") {
    const double ro = take.number("outer") / 2, ri = take.number("inner") / 2;
    if (ri >= ro) {
      trouble = {{"ring-hole", {{"most", 2 * ro}}}};
      return one(Role::cut, ellipse({ro, ro}, ro, ro));
    }
    auto out = one(Role::cut, ellipse({ro, ro}, ro, ro));
    out.front().path.edit([&](Path& path) {
      path.contours.push_back(ellipse({ro, ro}, ri, ri));
      path.fill_rule = FillRule::evenodd;
    });
    return out;
  }
  if (kind == "arc") {
    const double r = take.number("radius"), from = -take.number("from") * kPi / 180, sweep = take.number("sweep");
    Contour c;
    c.start = {r + r * std::cos(from), r + r * std::sin(from)};
    const int parts = static_cast<int>(std::ceil(sweep / 120));
    Vec at = c.start;
    for (int i = 1; i <= parts; ++i) {  // counter-clockwise as seen
      const double a = from - sweep * kPi / 180 * i / parts;
      const Vec to{r + r * std::cos(a), r + r * std::sin(a)};
      append_arc(c.segments, at, r, r, 0, false, false, to, 1);
      at = to;
    }
    Path path = with_meeting_ends_closed(Path{{c}, FillRule::nonzero});
    return {line_of("arc", Role::draw, path.contours)};
  }
  if (kind == "line") {
    const double l = take.number("length"), a = -take.number("angle") * kPi / 180;
    return {line_of("line", Role::draw, {Walk({0, 0}).to(l * std::cos(a), l * std::sin(a)).open()})};
  }
  if (kind == "wave") return {line_of("wave", Role::draw, {wave(w, take.number("rise"), take.count("waves"))})};
  if (kind == "scallop") return one(Role::cut, scallop(w, h, take.number("bump"), take.is("bulge", "out")));
  if (kind == "folding-card") return folding_card(take);
  if (kind == "shaped-card") return shaped_card(take, trouble);
  if (kind == "label") {
    // The finished size holds the bumps.
    const double bump = std::min(take.number("bump"), std::min(w, h) / 4);
    auto out = one(Role::cut, plate(bump, bump, w - 2 * bump, h - 2 * bump, take.number("bite"), bump));
    if (take.number("border") > 0) {
      const Region inside = offset(region_of(*out.front().path), -take.number("border"));
      if (inside.empty()) {
        trouble = {{"label-border"}};
      } else {
        out.push_back(line_of("border", Role::draw, refit(inside).contours));
      }
    }
    return out;
  }
  if (kind == "tag") return tag(take, trouble);
  if (kind == "badge") return badge(take, trouble);
  if (kind == "envelope") return envelope(take);
  if (kind == "box") return box(take);
  if (kind == "blank") return blank(take, trouble);
  if (kind == "pieced") return pieced_unit(values);
  return {};
}

}  // namespace dotlane
