#include "core/check/run_checks.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/check/finding_list.hpp"
#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {
namespace {

constexpr double kRollerHeldMm = 0.3;  // what stands up less passes under a roller
constexpr double kAttendedS = 60;      // a heated or engraving pass that takes longer
constexpr double kAsleepS = 3600;      // computers left alone for so long go to sleep

/// The least area of a part that stays where it is when it is cut loose before other passes, mm².
double least_registered(Tack tack) { return tack == Tack::low ? 1e9 : tack == Tack::medium ? 2500 : 400; }

class RunChecker : FindingList {
 public:
  RunChecker(const Project& p, const Drawing& d, const Layout& l, const Plan& n)
      : project_(p), drawing_(d), layout_(l), plan_(n) {}

  std::vector<Finding> run() {
    order();
    inks();
    roles_and_stocks();
    passes();
    bar();
    held();
    edges();
    folds();
    some_of_it();
    hands();
    return std::move(out_);
  }

 private:
  const Project& project_;
  const Drawing& drawing_;
  const Layout& layout_;
  const Plan& plan_;

  [[nodiscard]] LineRef ref_of(const Stroke& stroke) const {
    const DrawnPiece* drawn = find_drawn(drawing_, stroke.piece);
    return {stroke.piece, drawn && stroke.line < drawn->piece->lines.size() ? drawn->piece->lines[stroke.line].id : ""};
  }
  [[nodiscard]] std::vector<LineRef> lines_of(const Pass& pass) const {
    std::set<std::pair<int, std::size_t>> known;
    std::vector<LineRef> out;
    for (const auto& stroke : pass.strokes) {
      if (known.emplace(stroke.piece, stroke.line).second) out.push_back(ref_of(stroke));
    }
    return out;
  }
  [[nodiscard]] const Stock* stock_on(int sheet) const {
    const Sheet* found = find_sheet(project_, sheet);
    return found ? find_stock(project_, found->stock) : nullptr;
  }
  [[nodiscard]] std::string tool_name(const std::string& id) const {
    const Tool* tool = find_tool(project_, id);
    return tool ? tool->name : id;
  }

  /// Cutting first is one school: it goes where what was cut loose stays held, or is not gone over again.
  void order() {
    const double least = least_registered(project_.machine.mat.tack);
    for (std::size_t i = 0; i < plan_.passes.size(); ++i) {
      const Pass& cut = plan_.passes[i];
      if (cut.role != Role::cut) continue;
      for (std::size_t j = i + 1; j < plan_.passes.size(); ++j) {
        const Pass& later = plan_.passes[j];
        if (later.sheet != cut.sheet || later.load != cut.load || later.role == Role::cut) continue;
        // What of the later pass lies on parts that have been cut loose, and how small the least of these is.
        std::set<std::size_t> loose;
        for (const auto& stroke : cut.strokes) {
          if (stroke.closed() && stroke.laid != npos) loose.insert(stroke.laid);
        }
        double smallest = 1e12;
        std::size_t parts = 0;
        std::set<std::size_t> seen;
        for (const auto& stroke : later.strokes) {
          if (!loose.contains(stroke.laid) || !seen.insert(stroke.laid).second) continue;
          smallest = std::min(smallest, layout_.parts[layout_.laid[stroke.laid].part].area_mm2);
          ++parts;
        }
        if (parts == 0) continue;
        const bool stays = smallest >= least;
        auto& finding = add("cut-before", stays ? Severity::info : Severity::warning,
                            {{"cut", 1.0 * cut.index},
                             {"later", 1.0 * later.index},
                             {"role", std::string(word(later.role))},
                             {"parts", static_cast<double>(parts)},
                             {"smallest", smallest}},
                            lines_of(cut), stays ? "held" : "");
        finding.fixes.push_back({Fix::Kind::restore_order, {"fix-cut-last"}, "", 0, {}});
        return;
      }
    }
  }

  /// A light pen that goes where a dark one has been takes up its ink.
  void inks() {
    for (const Pass& dark : plan_.passes) {
      const Tool* first = find_tool(project_, dark.tool);
      for (const Pass& light : plan_.passes) {
        if (light.index < dark.index || light.sheet != dark.sheet || light.load != dark.load) continue;
        const Tool* second = find_tool(project_, light.tool);
        if (dark.role != Role::draw || light.role != Role::draw || !first || !second) continue;
        if (luminance(second->ink) <= luminance(first->ink) + 1e-9) continue;
        auto& finding = add("light-after-dark", Severity::warning,
                            {{"light", second->name},
                             {"dark", first->name},
                             {"later", 1.0 * light.index},
                             {"earlier", 1.0 * dark.index}},
                            lines_of(light));
        finding.fixes.push_back({Fix::Kind::forget_order_by_hand, {"fix-light-first"}, "", 0, {}});
        return;
      }
    }
  }

  void roles_and_stocks() {
    std::map<std::string, std::vector<LineRef>> cut, drawn;
    for (const auto& piece : drawing_.pieces) {
      const Stock* stock = find_stock(project_, piece->piece->stock);
      if (!stock || piece->piece->helper) continue;
      for (const auto& line : piece->piece->lines) {
        if (stock->never_cut && line.role == Role::cut) cut[stock->id].push_back({piece->piece->id, line.id});
        if (!stock->takes_ink && line.role == Role::draw) drawn[stock->id].push_back({piece->piece->id, line.id});
      }
    }
    for (auto& [id, lines] : cut) {
      const auto count = static_cast<double>(lines.size());
      auto& finding = add("cut-on-blank", Severity::error,
                          {{"stock", find_stock(project_, id)->name}, {"lines", count}}, std::move(lines));
      finding.fixes.push_back({Fix::Kind::set_role, {"fix-engrave"}, std::string(word(Role::engrave)), 0, {}});
    }
    for (auto& [id, lines] : drawn) {
      const auto count = static_cast<double>(lines.size());
      add("ink-not-taken", Severity::warning, {{"stock", find_stock(project_, id)->name}, {"lines", count}},
          std::move(lines));
    }
  }

  void passes() {
    const Machine& machine = project_.machine;
    for (const Pass& pass : plan_.passes) {
      const Tool* tool = find_tool(project_, pass.tool);
      const Stock* stock = stock_on(pass.sheet);
      if (!tool || !stock) continue;
      const double wanted = setting_for(*stock, pass.role).force_gf;
      if (!pass.numbers && std::abs(wanted - pass.force_gf) > 0.5 && wanted <= machine.max_force_gf) {
        add("force-clamped", Severity::warning,
            {{"stock", stock->name},
             {"role", std::string(word(pass.role))},
             {"wanted", wanted},
             {"tool", tool->name},
             {"least", tool->min_force_gf},
             {"most", tool->max_force_gf},
             {"given", pass.force_gf}},
            lines_of(pass));
        Project copy = project_;
        const std::string id = pass.role == Role::draw ? pass.tool : choose_tool(copy, pass.role, {}, stock->id);
        const Tool* better = find_tool(project_, id);
        if (better && better->min_force_gf <= wanted && wanted <= better->max_force_gf)
          out_.back().fixes.push_back(
              {Fix::Kind::use_tool, {"fix-use-tool", {{"tool", better->name}}}, better->id, 0, {}});
      }
      bool refused = static_cast<int>(machine.takes.size()) >= machine.holders;
      for (int h = 0; refused && h < machine.holders; ++h) {
        const auto& kinds = machine.takes[static_cast<std::size_t>(h)];
        refused = !kinds.empty() && std::find(kinds.begin(), kinds.end(), tool->kind) == kinds.end();
      }
      if (refused)
        add("holder-refuses", Severity::error, {{"tool", tool->name}, {"kind", std::string(word(tool->kind))}},
            lines_of(pass));
      // Each round lands anew; twice the standard deviation of the difference of two landings is rarely passed.
      const double apart = 2 * std::sqrt(2.0) * machine.landing_mm;
      if (pass.rounds() > 1 && pass.role == Role::engrave && apart > tool->tip_width_mm) {
        auto& finding = add("repeats-apart", Severity::warning,
                            {{"pass", 1.0 * pass.index},
                             {"repeats", 1.0 * pass.repeats},
                             {"apart", apart},
                             {"tip", tool->tip_width_mm}},
                            lines_of(pass));
        finding.fixes.push_back({Fix::Kind::stroke_by_stroke, {"fix-stroke-by-stroke"}, "", 0, {}});
      }
    }
  }

  /// What stands up from a sheet passes under the bar wherever the head's way across the mat, from home to the last
  /// stroke, takes it there; and under a roller that stands in its lane.
  void bar() {
    const Machine& machine = project_.machine;
    const auto lane_at = [&](const Box& box) -> std::optional<double> {
      for (const double x : machine.rollers_mm) {
        if (box.x1 > x - machine.roller_width_mm / 2 && box.x0 < x + machine.roller_width_mm / 2) return x;
      }
      return std::nullopt;
    };
    std::map<int, std::pair<double, double>> swept;  // of each mat: from where to where the bar passes over it
    for (const Pass& pass : plan_.passes) {
      const double home = home_of(machine).y;
      auto& [low, high] = swept.try_emplace(pass.load, home, home).first->second;
      for (const auto& stroke : pass.strokes) {
        for (const Vec p : stroke.course.polyline->points) {
          const double y = stroke.course.map(p).y;
          low = std::min(low, y), high = std::max(high, y);
        }
      }
    }
    for (const auto& placed : layout_.sheets) {
      const Stock* stock = find_stock(project_, placed.sheet.stock);
      const auto way = swept.find(placed.sheet.load);
      if (!stock || way == swept.end() || placed.pieces.empty()) continue;
      const auto [low, high] = way->second;
      if (stock->thickness_mm >= kBlankMm) {
        if (const auto lane = lane_at(placed.sheet.area))
          add("blank-under-roller", Severity::warning,
              {{"stock", stock->name}, {"thick", stock->thickness_mm}, {"lane", *lane}});
      }
      const double flip = placed.sheet.area.x0 + placed.sheet.area.x1;
      for (const auto& laid : placed.pieces) {
        const auto& lines = laid.drawn->piece->lines;
        for (std::size_t i = 0; i < lines.size(); ++i) {
          Box box = laid.drawn->line_bounds[i];
          if (lines[i].role != Role::guide || lines[i].raised_mm <= 0 || box.empty()) continue;
          if (plan_.mirrored) box = Box{flip - box.x1, box.y0, flip - box.x0, box.y1};
          const LineRef ref{laid.drawn->piece->id, lines[i].id};
          const double stands = stock->thickness_mm + lines[i].raised_mm;
          const double past = machine.bar_reaches_mm;
          if (stands > machine.bar_clears_mm && box.y1 > low - past && box.y0 < high + past) {
            add("raised-under-bar", Severity::error,
                {{"stands", stands},
                 {"clears", machine.bar_clears_mm},
                 {"stock", stock->name},
                 {"deep", std::min(box.y1, high + past) - std::max(box.y0, low - past)}},
                {ref});
          }
          if (const auto lane = lane_at(box); lane && lines[i].raised_mm > kRollerHeldMm)
            add("raised-under-roller", Severity::error, {{"raised", lines[i].raised_mm}, {"lane", *lane}}, {ref});
        }
      }
    }
  }

  /// Parts so small that the mat may let go of them while they are cut.
  void held() {
    const double least = least_held(project_.machine.mat.tack);
    std::set<std::size_t> cut;
    for (const Pass& pass : plan_.passes) {
      for (const auto& stroke : pass.strokes) {
        if (pass.role == Role::cut && stroke.laid != npos) cut.insert(stroke.laid);
      }
    }
    std::set<LineRef> lines;
    double smallest = least;
    std::size_t parts = 0;
    for (const std::size_t k : cut) {
      const Part& part = layout_.parts[layout_.laid[k].part];
      if (!part.has_body() || part.area_mm2 <= 0 || part.area_mm2 >= least) continue;
      ++parts;
      smallest = std::min(smallest, part.area_mm2);
      lines.insert({part.key.piece, part.key.line});
    }
    if (parts > 0)
      add("small-lift", Severity::warning,
          {{"parts", static_cast<double>(parts)},
           {"smallest", smallest},
           {"least", least},
           {"tack", std::string(word(project_.machine.mat.tack))}},
          {lines.begin(), lines.end()});
  }

  void edges() {
    for (const auto& placed : layout_.sheets) {
      std::vector<LineRef> near;
      double least = kNearEdgeMm;
      const Box& area = placed.sheet.area;
      for (const auto& laid : placed.pieces) {
        const auto& lines = laid.drawn->piece->lines;
        for (std::size_t i = 0; i < lines.size(); ++i) {
          const Box& box = laid.drawn->line_bounds[i];
          if (lines[i].role != Role::cut || box.empty()) continue;
          const double strip = std::min({box.x0 - area.x0, box.y0 - area.y0, area.x1 - box.x1, area.y1 - box.y1});
          if (strip < 0.1 || strip >= kNearEdgeMm) continue;  // on the edge itself nothing is left beside it
          near.push_back({laid.drawn->piece->id, lines[i].id});
          least = std::min(least, strip);
        }
      }
      const Stock* stock = find_stock(project_, placed.sheet.stock);
      if (!near.empty() && stock) {
        const auto count = static_cast<double>(near.size());
        add("near-edge", Severity::warning, {{"stock", stock->name}, {"lines", count}, {"strip", least}},
            std::move(near));
      }
    }
  }

  /// What a perforation leaves of a sheet holds it together, and has to fold: its share of the grammage.
  void folds() {
    for (const auto& drawn : drawing_.pieces) {
      const Stock* stock = find_stock(project_, drawn->piece->stock);
      const Piece* piece = find_piece(project_, drawn->piece->id);
      if (!stock || !piece || piece->helper || stock->grammage_gsm <= 0) continue;
      const auto judge = [&](double dash, double gap, int step, std::vector<LineRef> lines) {
        if (dash + gap <= 0 || lines.empty()) return;
        const double left = stock->grammage_gsm * gap / (dash + gap);
        if (left >= kWeakGsm && left <= kStiffGsm) return;
        const bool weak = left < kWeakGsm;
        // As long a gap, with the dash that leaves the middle of what is good.
        const double good = std::sqrt(kWeakGsm * kStiffGsm);
        const double better = std::max(0.1, std::round(10 * gap * (stock->grammage_gsm / good - 1)) / 10);
        auto& finding = add(weak ? "perforation-weak" : "perforation-stiff", Severity::warning,
                            {{"piece", piece->name},
                             {"stock", stock->name},
                             {"dash", dash},
                             {"gap", gap},
                             {"left", left},
                             {"grammage", stock->grammage_gsm}},
                            std::move(lines));
        if (stock->grammage_gsm <= good) return;
        Fix fix{Fix::Kind::change_step, {"fix-dash", {{"dash", better}}}, "", 0, {{piece->id, ""}}, {}};
        fix.step.id = step, fix.step.values = {{"dash", better}};
        finding.fixes.push_back(std::move(fix));
      };
      const auto dashed = [&](bool folds_only) {
        std::vector<LineRef> out;
        for (const auto& line : drawn->piece->lines) {
          const auto open = std::count_if(line.path->contours.begin(), line.path->contours.end(),
                                          [](const Contour& c) { return !c.closed; });
          if (line.role == Role::cut && open > 2 && (!folds_only || line.id.starts_with("fold")))
            out.push_back({piece->id, line.id});
        }
        return out;
      };
      const KindSpec* source = find_kind(shape_kinds(), piece->source.kind);
      if (source && source->find("fold") && source->find("dash")) {
        const Reading take(*source, piece->source.values);
        if (take.is("fold", "perforate")) judge(take.number("dash"), take.number("gap"), 0, dashed(true));
      }
      for (const auto& step : piece->steps) {
        if (!step.on || step.kind != "dash") continue;
        const Reading take(*find_kind(step_kinds(), "dash"), step.values);
        judge(take.number("dash"), take.number("gap"), step.id, dashed(false));
      }
    }
  }

  void some_of_it() {
    const Handwork hands = handwork_of(plan_);
    if (plan_.hand_mats > 0 || plan_.hand_pauses > 0 || plan_.hand_swaps > 0) {
      auto& finding = add("hand-order", Severity::info,
                          {{"mats", 1.0 * std::max(0, plan_.hand_mats)},
                           {"pauses", 1.0 * std::max(0, plan_.hand_pauses)},
                           {"swaps", 1.0 * std::max(0, plan_.hand_swaps)}},
                          {},
                          plan_.hand_mats > 0     ? "mats"
                          : plan_.hand_pauses > 0 ? "pauses"
                                                  : "");
      finding.fixes.push_back({Fix::Kind::plan_again, {"fix-plan-again"}, "", 0, {}});
    }
    if (hands.returns > 0) add("mat-returns", Severity::warning, {{"mats", 1.0 * hands.returns}});
    const auto parts =
        std::count_if(layout_.laid.begin(), layout_.laid.end(), [](const LaidPart& laid) { return laid.not_now; });
    const auto count = [this](bool (*which)(const Piece&)) {
      return static_cast<double>(std::count_if(project_.pieces.begin(), project_.pieces.end(),
                                               [which](const auto& piece) { return !piece->helper && which(*piece); }));
    };
    if (parts > 0 || !plan_.not_now.empty())
      add("not-now", Severity::info,
          {{"parts", static_cast<double>(parts)}, {"passes", static_cast<double>(plan_.not_now.size())}});
    if (const double pieces = count([](const Piece& p) { return p.not_now; }); pieces > 0)
      add("pieces-not-now", Severity::info, {{"pieces", pieces}});
    if (const double hidden = count([](const Piece& p) { return p.hidden && !p.not_now; }); hidden > 0)
      add("hidden-runs", Severity::info, {{"pieces", hidden}});
    for (const Role role : project_.plan.roles_not_now)
      add("role-not-now", Severity::info, {{"role", std::string(word(role))}});
  }

  /// What hands have to know: before it runs, and while it does.
  void hands() {
    double waits = 0, heated = 0, engraved = 0;
    for (const auto& pause : plan_.pauses) waits += pause.dries_s;
    std::set<std::string> pens;
    for (const Pass& pass : plan_.passes) {
      const Tool* tool = find_tool(project_, pass.tool);
      if (!tool) continue;
      if (tool->kind == ToolKind::foil_tip) heated += pass.seconds;
      if (tool->kind == ToolKind::engraving_tip) engraved += pass.seconds;
      if (tool->kind == ToolKind::pen || tool->kind == ToolKind::chisel_marker) pens.insert(tool->name);
    }
    if (waits > 0) add("waits-for-ink", Severity::info, {{"minutes", waits / 60}});
    if (!pens.empty())
      add("scribble-first", Severity::info, {{"pens", static_cast<double>(pens.size())}, {"first", *pens.begin()}});
    if (heated > kAttendedS) add("stay-with-it", Severity::info, {{"minutes", heated / 60}}, {}, "heated");
    if (engraved > kAttendedS) add("stay-with-it", Severity::info, {{"minutes", engraved / 60}});
    if (plan_.seconds > kAsleepS) add("stay-awake", Severity::info, {{"hours", plan_.seconds / 3600}});
  }
};

}  // namespace

std::vector<Finding> check_run(const Project& project, const Drawing& drawing, const Layout& layout, const Plan& plan) {
  return RunChecker(project, drawing, layout, plan).run();
}

}  // namespace dotlane
