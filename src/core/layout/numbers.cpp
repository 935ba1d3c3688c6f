#include "core/layout/numbers.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <string>
#include <string_view>

#include "core/geometry/clearance.hpp"
#include "core/geometry/failure.hpp"
#include "core/layout/assembly.hpp"
#include "core/layout/room.hpp"

namespace dotlane {
namespace {

// Digits on a grid two wide and four high, from the top left: each up to two strokes, as pairs of x and y.
constexpr std::array<std::array<std::string_view, 2>, 10> kDigits{{{"0020240400", ""},
                                                                   {"011014", ""},
                                                                   {"002022020424", ""},
                                                                   {"00202404", "0222"},
                                                                   {"000222", "2024"},
                                                                   {"200002222404", ""},
                                                                   {"200004242202", ""},
                                                                   {"002014", ""},
                                                                   {"0020240400", "0222"},
                                                                   {"220200202404", ""}}};

/// Whether it reads as another number upside down.
bool turns_over(const std::string& digits) {
  std::string over;
  for (auto d = digits.rbegin(); d != digits.rend(); ++d) {
    constexpr std::string_view kFrom = "01689", kTo = "01986";
    const auto at = kFrom.find(*d);
    if (at == std::string_view::npos) return false;
    over += kTo[at];
  }
  return over != digits;
}

class Numbering {
 public:
  Numbering(const Project& project, const Drawing& drawing, Layout& layout, const Tool& tool)
      : project_(project), drawing_(drawing), layout_(layout), tool_(tool) {}

  void run() {
    for (auto& sheet : layout_.sheets) {
      try {
        on_sheet(sheet);
      } catch (const GeometryFailure&) {
        // Which of its places are free cannot be told: none of its parts gets a number.
        for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
          if (layout_.laid[k].sheet == sheet.sheet.id && part_of(k).has_body()) layout_.unnumbered.push_back(k);
        }
      }
    }
    std::sort(layout_.unnumbered.begin(), layout_.unnumbered.end());
  }

 private:
  const Project& project_;
  const Drawing& drawing_;
  Layout& layout_;
  const Tool& tool_;

  [[nodiscard]] const Part& part_of(std::size_t laid) const { return layout_.parts[layout_.laid[laid].part]; }

  void on_sheet(LaidSheet& sheet) {
    std::vector<std::size_t> all;
    std::vector<Region> bodies, kept;
    for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
      if (layout_.laid[k].sheet != sheet.sheet.id) continue;
      bodies.push_back(body_on_mat(drawing_, part_of(k), layout_.laid[k].map));
      kept.push_back(offset(bodies.back(), kNumberClear, {Corners::mitre}));
      all.push_back(k);
    }
    const bool within = project_.plan.mirrored;
    const Region free = within ? Region{} : subtract(usable_on(project_, sheet.sheet), unite(kept));
    std::vector<Polyline> strokes;
    std::vector<std::size_t> of, left_out;  // of each stroke, in layout_.laid; those without
    std::vector<Box> taken;
    for (std::size_t i = 0; i < all.size(); ++i) {
      const Part& part = part_of(all[i]);
      if (!part.has_body()) continue;
      const std::vector<Polyline> number = number_strokes(part.number);
      Box size;
      for (const auto& stroke : number) {
        for (const Vec p : stroke.points) size.add(p);
      }
      const Vec half = Vec{size.width(), size.height()} * 0.5 + Vec{0.4, 0.4};  // and the tip's own width
      const auto at = within ? inside(transformed(*part.shape, layout_.laid[all[i]].map * part.at), half)
                             : beside(bodies[i], free, half, taken);
      if (!at) {
        left_out.push_back(all[i]);
        continue;
      }
      taken.push_back(Box{at->x - half.x, at->y - half.y, at->x + half.x, at->y + half.y});
      for (const auto& stroke : number) {
        Polyline there{{}, false};
        // A job that is mirrored mirrors them once more.
        for (const Vec p : stroke.points) there.points.push_back(*at + Vec{within ? -p.x : p.x, p.y});
        strokes.push_back(std::move(there));
        of.push_back(all[i]);
      }
    }
    layout_.unnumbered.insert(layout_.unnumbered.end(), left_out.begin(), left_out.end());
    if (!strokes.empty())
      sheet.pieces.insert(sheet.pieces.begin(), piece_of(sheet.sheet, std::move(strokes), std::move(of)));
  }

  static std::optional<Vec> inside(const Region& body, Vec half) {
    const Vec at = number_place(body);
    const Region room = offset(body, -kNumberClear, {Corners::mitre});
    const Region box = region_of(Box{at.x - half.x, at.y - half.y, at.x + half.x, at.y + half.y});
    return subtract(box, room).empty() ? std::optional(at) : std::nullopt;
  }

  /// The place nearest to the body's centre among those around its edge.
  static std::optional<Vec> beside(const Region& body, const Region& free, Vec half, const std::vector<Box>& taken) {
    constexpr double kStep = 2.5;       // mm between places that are tried
    constexpr std::size_t kMost = 400;  // of them
    if (free.empty()) return std::nullopt;
    const Vec centre = centre_of(body);
    const Box reach = bounds_of(body).grown(2 * kNumberFar);
    const Region near = intersect(free, region_of(reach));
    if (near.empty()) return std::nullopt;
    const Clearance room(near), box(region_of(Box{-half.x, -half.y, half.x, half.y}));
    std::vector<Vec> places;
    for (const double away : {half.y + kNumberClear + 0.2, half.x + kNumberClear + 0.2, kNumberFar}) {
      for (const auto& ring : offset(body, away, {Corners::round, 4, 0.2}).rings) {
        double left = 0;
        for (std::size_t i = 0; i < ring.size(); ++i) {
          const Vec a = ring[i], b = ring[(i + 1) % ring.size()];
          const double length = distance(a, b);
          for (; left < length; left += kStep) places.push_back(lerp(a, b, left / length));
          left -= length;
        }
      }
    }
    std::sort(places.begin(), places.end(), [&](Vec a, Vec b) {
      const double x = distance(a, centre), y = distance(b, centre);
      return x != y ? x < y : a.x != b.x ? a.x < b.x : a.y < b.y;
    });
    const std::size_t every = places.size() / kMost + 1;
    for (std::size_t i = 0; i < places.size(); i += every) {
      const Vec at = places[i];
      const Box own{at.x - half.x, at.y - half.y, at.x + half.x, at.y + half.y};
      if (std::any_of(taken.begin(), taken.end(), [&](const Box& other) { return other.overlaps(own); })) continue;
      if (room.holds(box, at)) return at;
    }
    return std::nullopt;
  }

  [[nodiscard]] LaidPiece piece_of(const Sheet& sheet, std::vector<Polyline> strokes,
                                   std::vector<std::size_t> of) const {
    Piece piece;
    piece.id = kNumbersPiece, piece.name = "Numbers", piece.stock = sheet.stock;
    Line line;
    line.id = "numbers", line.role = Role::draw, line.tool = tool_.id, line.color = tool_.ink, line.repeats = 1;
    Path path;
    for (const auto& stroke : strokes) {
      Contour contour;
      contour.start = stroke.points.front();
      for (std::size_t i = 1; i < stroke.points.size(); ++i)
        contour.segments.push_back(Segment::line(stroke.points[i]));
      path.contours.push_back(std::move(contour));
    }
    line.path = std::move(path);
    piece.lines.push_back(std::move(line));
    auto flat = std::make_shared<FlatPiece>();
    Box bounds;
    for (const auto& stroke : strokes) {
      for (const Vec p : stroke.points) bounds.add(p);
      flat->segments += stroke.points.size() - 1;
    }
    flat->bounds = bounds;
    flat->lines.push_back({std::move(strokes), {}, bounds});
    auto drawn = std::make_shared<DrawnPiece>();
    drawn->piece = Shared<Piece>(std::move(piece));
    drawn->flat = std::move(flat);
    find_bounds(*drawn);
    LaidPiece out;
    out.drawn = std::move(drawn);
    out.laid = std::make_shared<const std::vector<std::vector<std::size_t>>>(1, std::move(of));
    return out;
  }
};

}  // namespace

std::vector<Polyline> number_strokes(int number) {
  const std::string digits = std::to_string(number);
  const double unit = kNumberHigh / 4, wide = kNumberWide / 2;
  const auto n = static_cast<double>(digits.size());
  const double all = n * kNumberWide + (n - 1) * kNumberApart;
  std::vector<Polyline> out;
  for (std::size_t d = 0; d < digits.size(); ++d) {
    const double left = static_cast<double>(d) * (kNumberWide + kNumberApart) - all / 2;
    for (const auto stroke : kDigits[static_cast<std::size_t>(digits[d] - '0')]) {
      Polyline line{{}, false};
      for (std::size_t i = 0; i + 1 < stroke.size(); i += 2)
        line.points.push_back({left + (stroke[i] - '0') * wide, (stroke[i + 1] - '0') * unit - kNumberHigh / 2});
      if (!line.points.empty()) out.push_back(std::move(line));
    }
  }
  // A line under what could be read upside down.
  if (turns_over(digits))
    out.push_back({{{-all / 2, kNumberHigh / 2 + unit}, {all / 2, kNumberHigh / 2 + unit}}, false});
  return out;
}

void add_numbers(const Project& project, const Drawing& drawing, Layout& layout) {
  const Tool* tool = find_tool(project, project.laying.number_tool);
  if (tool && serves(*tool, Role::draw)) Numbering(project, drawing, layout, *tool).run();
}

}  // namespace dotlane
