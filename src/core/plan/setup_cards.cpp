#include "core/plan/setup_cards.hpp"

#include <algorithm>
#include <set>

namespace dotlane {
namespace {

using Kind = SetupPoint::Kind;

class CardWriter {
 public:
  CardWriter(const Project& project, const Layout& layout, const Plan& plan)
      : project_(project), layout_(layout), plan_(plan) {}

  SetupCard start() {
    begin({npos, 0, plan_.passes.front().load, true, 0, 0, 0, false, {}},
          plan_.pauses.empty() ? plan_.passes.size() : plan_.pauses.front().before_pass);
    sheets(card_.load);
    holders(plan_.first_load);
    checks(plan_.first_load);
    if (plan_.mirrored) add(Kind::check, {"card-mirrored"});
    add(Kind::caution, {"card-caution"});
    return finish(0);
  }

  SetupCard pause(std::size_t index) {
    const Pause& now = plan_.pauses[index];
    begin({index, now.before_pass, now.load, now.hands(), now.start_s, now.dries_s, 0, false, {}},
          index + 1 < plan_.pauses.size() ? plan_.pauses[index + 1].before_pass : plan_.passes.size());
    if (now.change_mat) {
      std::set<std::string> names;
      for (const auto& placed : layout_.sheets) {
        const Stock* stock = find_stock(project_, placed.sheet.stock);
        if (stock && placed.sheet.load == now.load && !placed.sheet.not_now) names.insert(stock->name);
      }
      std::string all;
      for (const auto& name : names) all += (all.empty() ? "" : ", ") + name;
      add(Kind::lay, {"card-mat", {{"load", static_cast<double>(now.load)}, {"stocks", all}}});
      sheets(now.load);
    } else {
      add(Kind::lay, {"card-mat-stays"});
    }
    holders(now.holders);
    checks(now.holders);
    if (now.dries_s > 0)
      add(Kind::check,
          {"card-dry", {{"minutes", now.dries_s / 60}, {"pass", static_cast<double>(now.before_pass + 1)}}});
    return finish(now.start_s + now.seconds);
  }

 private:
  void begin(SetupCard card, std::size_t until) {
    card_ = std::move(card);
    until_ = until;
    seen_.clear();
  }
  void add(Kind kind, Said said, int holder = 0, std::string stock = {}) {
    card_.points.push_back({kind, std::move(said), holder, std::move(stock)});
  }
  SetupCard finish(double goes_on_s) {
    double next = plan_.seconds;
    card_.last = true;
    for (const auto& pause : plan_.pauses) {
      if (pause.hands() && pause.start_s >= goes_on_s - 1e-9 && pause.before_pass > card_.before_pass)
        next = std::min(next, pause.start_s), card_.last = false;
    }
    card_.next_hands_s = std::max(0.0, next - goes_on_s);
    return std::move(card_);
  }

  void sheets(int load) {
    for (std::size_t i = 0; i < layout_.sheets.size(); ++i) {
      const Sheet& sheet = layout_.sheets[i].sheet;
      const Stock* stock = find_stock(project_, sheet.stock);
      if (sheet.load != load || sheet.not_now || !stock) continue;
      const auto number = static_cast<double>(i + 1);
      add(Kind::lay,
          {"card-stock",
           {{"stock", stock->name},
            {"width", sheet.area.width()},
            {"height", sheet.area.height()},
            {"left", sheet.area.x0},
            {"top", sheet.area.y0},
            {"sheet", number}}},
          0, stock->id);
      if (stock->never_cut)
        add(Kind::check, {"card-tape", {{"stock", stock->name}}}), add(Kind::check, {"card-rollers"});
      if (!sheet.printed) continue;
      const bool found = project_.machine.reads_marks && marks_of(project_, sheet);
      add(Kind::lay, {found ? "card-print" : "card-print/by-hand", {{"sheet", number}, {"off", 5.0}}});
    }
  }

  void holders(const std::vector<HolderLoad>& loads) {
    for (const auto& load : loads) {
      Figures figures{{"holder", static_cast<double>(load.holder)}};
      const auto name = [&](const std::string& id) {
        const Tool* tool = find_tool(project_, id);
        return tool ? tool->name : id;
      };
      figures["tool"] = name(load.holds);
      if (load.depth > 0) figures["mark"] = load.depth;
      std::string form;
      if (load.put_in.empty()) {
        form = load.holds.empty() ? "empty" : load.depth > 0 ? "set" : "keep";
      } else if (load.take_out.empty()) {
        form = "put";
      } else {
        form = "swap";
        figures["out"] = name(load.take_out);
      }
      add(Kind::load, {std::string("card-holder") + "/" + form, std::move(figures)}, load.holder);
      const Tool* tool = find_tool(project_, load.holds);
      if (tool && !load.put_in.empty() && tool->sits_deg != 0)
        add(Kind::check, {"card-sits", {{"tool", tool->name}, {"turn", tool->sits_deg}}});
    }
    for (std::size_t i = card_.before_pass; i < until_ && i < plan_.passes.size(); ++i) {
      const Pass& pass = plan_.passes[i];
      const Tool* tool = find_tool(project_, pass.tool);
      Figures figures{{"pass", static_cast<double>(i + 1)},
                      {"tool", tool ? tool->name : pass.tool},
                      {"force", pass.force_gf},
                      {"speed", pass.speed_mm_s}};
      if (pass.repeats > 1) figures["repeats"] = static_cast<double>(pass.repeats);
      add(Kind::load, {"card-pass", std::move(figures)}, pass.holder);
      if (pass.turn_in) once("card-turn-in");
    }
  }

  void once(const std::string& code) {
    if (seen_.insert(code).second) add(Kind::check, {code});
  }

  void checks(const std::vector<HolderLoad>& loads) {
    for (const auto& load : loads) {
      if (load.put_in.empty() && load.depth == 0) continue;
      const Tool* tool = find_tool(project_, load.holds);
      if (!tool) continue;
      switch (tool->kind) {
        case ToolKind::blade:
          once(load.depth > 0                ? "card-test-cut/mark"
               : project_.machine.sets_depth ? "card-test-cut/machine"
                                             : "card-test-cut");
          break;
        case ToolKind::pen:
        case ToolKind::pencil:
        case ToolKind::chisel_marker:
          if (tool->transfers) once("card-upright");
          once("card-scribble");
          once("card-pen-height");
          break;
        case ToolKind::foil_tip:
          once("card-foil");
          break;
        case ToolKind::engraving_tip:
          once("card-engrave");
          break;
        case ToolKind::scoring_tip:
          once("card-scoring");
          break;
        case ToolKind::embossing_tip:
        case ToolKind::stippling_point:
          once("card-soft");
          break;
        case ToolKind::other:
          break;
      }
    }
  }

  const Project& project_;
  const Layout& layout_;
  const Plan& plan_;
  SetupCard card_;
  std::size_t until_ = 0;
  std::set<std::string> seen_;
};

}  // namespace

std::vector<SetupCard> setup_cards(const Project& project, const Layout& layout, const Plan& plan) {
  std::vector<SetupCard> out;
  if (plan.passes.empty()) return out;
  CardWriter writer(project, layout, plan);
  out.push_back(writer.start());
  for (std::size_t i = 0; i < plan.pauses.size(); ++i) out.push_back(writer.pause(i));
  return out;
}

}  // namespace dotlane
