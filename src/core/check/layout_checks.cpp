#include "core/check/layout_checks.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <numbers>
#include <set>

#include "core/check/finding_list.hpp"
#include "core/geometry/failure.hpp"
#include "core/layout/how_big.hpp"
#include "core/layout/room.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/evaluate.hpp"

namespace dotlane {
namespace {

constexpr double kSlackMm = 0.01;        // gaps are kept to this
constexpr double kLeastMm2 = 0.5;        // less of an overlap is what two outlines that share an edge have
constexpr double kTurnedDeg = 0.5;       // less is along the grain
constexpr double kTornMm = 0.02;         // how far apart the maps of parts that lie as one may put a point
constexpr std::size_t kMostClashes = 8;  // of a sheet, told one by one

class LayoutChecker : FindingList {
 public:
  LayoutChecker(const Project& project, const Drawing& drawing, const Layout& layout)
      : project_(project), drawing_(drawing), layout_(layout) {}

  std::vector<Finding> run() {
    for (const auto& placed : layout_.sheets) {
      try {
        on_sheet(placed.sheet);
      } catch (const GeometryFailure&) {
        // The outlines of this sheet cannot be compared; what each of them is was said by the checks of shapes.
      }
    }
    waiting();
    numbers();
    grain();
    fills();
    torn();
    shelf();
    return std::move(out_);
  }

 private:
  const Part& part_of(std::size_t k) const { return layout_.parts[layout_.laid[k].part]; }
  LineRef ref_of(std::size_t k) const { return {part_of(k).key.piece, part_of(k).key.line}; }
  std::string name_of(std::size_t k) const {
    const LaidPart& laid = layout_.laid[k];
    const std::size_t r = layout_.records[laid.part];
    const bool several = r != npos && project_.parts[r].copies > 1;
    return part_of(k).name + (several ? " #" + std::to_string(laid.copy) : "");
  }
  std::string stock_name(const std::string& id) const {
    const Stock* stock = find_stock(project_, id);
    return stock ? stock->name : id;
  }
  static void offer_room(Finding& finding, std::vector<std::size_t> laid) {
    Fix fix{Fix::Kind::find_room, {"fix-find-room"}, "", 0, {}};
    fix.laid = std::move(laid);
    finding.fixes.push_back(std::move(fix));
  }

  void on_sheet(const Sheet& sheet) {
    const Room room(project_, drawing_, layout_, sheet);
    const double gap = project_.laying.gap_mm;
    std::size_t said = 0, more = 0;
    for (const Clash& clash : room.clashes(gap - kSlackMm, kLeastMm2)) {
      const bool as_one = torn_apart(clash.a, clash.b) == false;
      const bool both_drawn = layout_.laid[clash.a].drawn && layout_.laid[clash.b].drawn;
      const bool overlaps = clash.over_mm2 > kLeastMm2;
      if (!overlaps && as_one) continue;
      if (overlaps && as_one && !both_drawn) continue;  // as they overlap in the figure
      if (++said > kMostClashes) {
        ++more;
        continue;
      }
      const std::vector<LineRef> lines{ref_of(clash.a), ref_of(clash.b)};
      Finding& finding =
          overlaps
              ? add("parts-overlap", Severity::warning,
                    {{"part", name_of(clash.a)}, {"other", name_of(clash.b)}, {"over", clash.over_mm2}}, lines)
              : add("parts-near", Severity::warning,
                    {{"part", name_of(clash.a)}, {"other", name_of(clash.b)}, {"apart", clash.apart_mm}, {"gap", gap}},
                    lines);
      if (!both_drawn) offer_room(finding, {layout_.laid[clash.b].drawn ? clash.a : clash.b});
    }
    if (more > 0) add("parts-overlap", Severity::warning, {{"pairs", static_cast<double>(more)}}, {}, "more");
    if (sheet.outline.empty()) return;  // the edges of whole sheets are looked at with every line
    const Region area = offset(usable_on(project_, sheet), kSlackMm, {Corners::mitre});
    for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
      const LaidPart& laid = layout_.laid[k];
      if (laid.sheet != sheet.id) continue;
      const double off = area_of(subtract(room.body(k), area));
      if (off <= kLeastMm2 / 10) continue;
      Finding& finding = add("off-scrap", Severity::error, {{"part", name_of(k)}, {"off", off}}, {ref_of(k)});
      if (!laid.drawn) offer_room(finding, {k});
    }
  }

  /// For parts that are kept together, whether they lie otherwise to each other than in the figure.
  std::optional<bool> torn_apart(std::size_t a, std::size_t b) const {
    const auto with = layout_.moved_with(project_, a);
    if (std::find(with.begin(), with.end(), b) == with.end()) return std::nullopt;
    const LaidPart &x = layout_.laid[a], &y = layout_.laid[b];
    if (x.sheet != y.sheet) return true;
    const Box box = part_of(b).bounds();
    for (const Vec corner : {Vec{box.x0, box.y0}, Vec{box.x1, box.y1}}) {
      if (distance(x.map(corner), y.map(corner)) > kTornMm) return true;
    }
    return false;
  }

  void numbers() {
    const auto& without = layout_.unnumbered;
    if (without.empty()) return;
    std::vector<LineRef> lines;
    for (const std::size_t k : without) {
      if (lines.empty() || !(lines.back() == ref_of(k))) lines.push_back(ref_of(k));
    }
    add("numbers-left-out", Severity::info,
        {{"parts", static_cast<double>(without.size())}, {"part", name_of(without.front())}}, std::move(lines),
        project_.plan.mirrored ? "back" : "");
  }

  void torn() {
    std::vector<bool> known(layout_.laid.size());
    for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
      if (known[k] || !grouped(k)) continue;
      for (const std::size_t m : layout_.moved_with(project_, k)) {
        known[m] = true;
        if (m == k || !torn_apart(k, m).value_or(false)) continue;
        Finding& finding =
            add("group-torn", Severity::warning, {{"part", name_of(k)}, {"other", name_of(m)}}, {ref_of(k), ref_of(m)});
        offer_room(finding, {k});
      }
    }
  }
  bool grouped(std::size_t k) const {
    const std::size_t r = layout_.records[layout_.laid[k].part];
    return r != npos && project_.parts[r].together != 0;
  }

  void waiting() {
    std::map<std::string, std::vector<std::size_t>> by_stock;
    std::size_t last = npos;  // the part looked at last: its copies follow one another
    BoxFit fit;
    for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
      if (layout_.laid[k].sheet != 0) continue;
      const Part& part = part_of(k);
      const bool again = std::exchange(last, layout_.laid[k].part) == layout_.laid[k].part;
      const Region shape = again ? Region() : packed_shape(drawing_, part);
      if (!again) fit = largest_on(project_, part.stock, shape);
      const bool fits = fit.scale >= 1;
      if (fits) by_stock[part.stock].push_back(k);
      if (fits || again) continue;
      const Box box = bounds_of(shape);
      Vec most;
      for (const Vec room : rooms_of(project_, part.stock)) most = room.x * room.y > most.x * most.y ? room : most;
      Finding& finding = add("part-too-large", Severity::error,
                             {{"part", part.name},
                              {"width", box.width()},
                              {"height", box.height()},
                              {"room-width", most.x},
                              {"room-height", most.y},
                              {"stock", stock_name(part.stock)},
                              {"percent", 100 * told_scale(fit.scale)},
                              {"turn", fit.turn}},
                             {ref_of(k)}, fit.turn < 0.05 || fit.turn > 179.95 ? "upright" : "");
      if (part.has_body() && largest_on(project_, part.stock, part.body()).scale < 1)
        finding.fixes.push_back({Fix::Kind::divide, {"fix-divide"}, "", 0, {}});
    }
    for (const auto& [stock, laid] : by_stock) {
      std::vector<LineRef> lines;
      for (const std::size_t k : laid) lines.push_back(ref_of(k));
      Finding& finding = add(
          "part-waiting", Severity::warning,
          {{"parts", static_cast<double>(laid.size())}, {"part", name_of(laid.front())}, {"stock", stock_name(stock)}},
          std::move(lines));
      offer_room(finding, laid);
    }
  }

  void grain() {
    for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
      const LaidPart& laid = layout_.laid[k];
      const Stock* stock = find_stock(project_, part_of(k).stock);
      const Sheet* sheet = layout_.sheet(laid.sheet);
      if (!stock || stock->grain == Grain::none || !sheet) continue;
      const double turn = place_of(drawing_, part_of(k), laid.map, *sheet).turn_deg;
      const double off = std::abs(std::remainder(turn - (stock->grain == Grain::across ? 90 : 0), 180));
      if (off > kTurnedDeg)
        add("against-grain", Severity::warning, {{"part", name_of(k)}, {"turn", off}, {"stock", stock->name}},
            {ref_of(k)});
    }
  }

  /// Where steps follow a fill whose angle counts on the mat, that is made for the figure and turns along with its
  /// part.
  void fills() {
    std::set<std::pair<int, std::size_t>> anew;  // mostly strokes were made for how they lie
    for (const auto& sheet : layout_.sheets) {
      for (const auto& piece : sheet.pieces) {
        if (!piece.filled_anew) continue;
        for (const auto& line : *piece.laid) {
          for (const std::size_t k : line) anew.insert({piece.drawn->piece->id, k});
        }
      }
    }
    std::map<int, std::vector<std::pair<double, std::size_t>>> turned;  // by piece: how far, and which
    for (std::size_t k = 0; k < layout_.laid.size(); ++k) {
      const LaidPart& laid = layout_.laid[k];
      if (laid.drawn || laid.sheet == 0) continue;
      const double by = std::remainder(turn_of(laid.map), 180.0);
      std::set<int> pieces;
      for (const auto& at : part_of(k).lines) pieces.insert(at.piece);
      for (const int piece : pieces) {
        if (!anew.contains({piece, k})) turned[piece].emplace_back(by, k);
      }
    }
    for (const auto& entry : turned) {
      const int id = entry.first;
      const auto& by = entry.second;
      const Piece* piece = find_piece(project_, id);
      if (!piece) continue;
      const bool alike = std::all_of(by.begin(), by.end(), [&](const auto& other) {
        return std::abs(std::remainder(other.first - by.front().first, 180.0)) < kTurnedDeg;
      });
      const auto far = std::max_element(
          by.begin(), by.end(), [](const auto& a, const auto& b) { return std::abs(a.first) < std::abs(b.first); });
      if (std::abs(far->first) < kTurnedDeg) continue;
      for (const Step& step : piece->steps) {
        if (!step.on || step.kind != "fill") continue;
        const Reading take(*find_kind(step_kinds(), "fill"), step.values);
        if (!take.is("angle-from", "mat")) continue;
        const auto upright = [](double angle) { return angle - 180 * std::floor(angle / 180); };
        Finding& finding = add("fill-turned", Severity::warning,
                               {{"part", name_of(far->second)},
                                {"turn", std::abs(far->first)},
                                {"angle", upright(take.number("angle") + far->first)},
                                {"wanted", upright(take.number("angle"))}},
                               {ref_of(far->second)});
        if (!alike) continue;
        // Counted on the piece it stays what it is as long as the part lies as it does.
        const LaidPart& laid = layout_.laid[far->second];
        const DrawnPiece* drawn = find_drawn(drawing_, id);
        const Affine frame = laid.map * frame_of(drawn->map).to_figure;
        const double settled = upright(take.number("angle") - turn_of(frame));
        Fix fix{
            Fix::Kind::change_step, {"fix-angle-piece", {{"angle", upright(take.number("angle"))}}}, "", 0, {{id, ""}}};
        fix.step = Step{step.id, step.kind, true, {{"angle-from", std::string("piece")}, {"angle", settled}}, {}, {}};
        finding.fixes.push_back(std::move(fix));
      }
    }
  }

  void shelf() {
    std::map<int, int> taken;
    for (const auto& sheet : project_.sheets) {
      if (sheet.shelf != 0) ++taken[sheet.shelf];
    }
    for (const auto& [id, count] : taken) {
      const auto item = std::find_if(project_.shelf.begin(), project_.shelf.end(),
                                     [id = id](const ShelfItem& s) { return s.id == id; });
      if (item == project_.shelf.end()) {
        const auto sheet = std::find_if(project_.sheets.begin(), project_.sheets.end(),
                                        [id = id](const Sheet& s) { return s.shelf == id; });
        add("shelf-gone", Severity::warning, {{"sheets", 1.0 * count}, {"stock", stock_name(sheet->stock)}});
      } else if (item->count && count > *item->count) {
        add("shelf-short", Severity::warning,
            {{"sheets", 1.0 * count}, {"has", 1.0 * *item->count}, {"stock", stock_name(item->stock)}});
      }
    }
  }

  const Project& project_;
  const Drawing& drawing_;
  const Layout& layout_;
};

}  // namespace

std::vector<Finding> check_layout(const Project& project, const Drawing& drawing, const Layout& layout) {
  return LayoutChecker(project, drawing, layout).run();
}

}  // namespace dotlane
