#include "core/project/presets.hpp"

#include "core/color_space.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

Tool tool(std::string id, std::string name, ToolKind kind, std::vector<Role> serves, double tip, double min_gf,
          double max_gf, double thickest, Color ink = {60, 60, 60}) {
  Tool t;
  t.id = std::move(id), t.name = std::move(name), t.kind = kind, t.serves = std::move(serves);
  t.tip_width_mm = tip, t.min_force_gf = min_gf, t.max_force_gf = max_gf, t.thickest_mm = thickest, t.ink = ink;
  return t;
}

Stock stock(std::string id, std::string name, Color color, double thickness, double grammage,
            std::map<Role, Setting> settings) {
  Stock s;
  s.id = std::move(id), s.name = std::move(name), s.color = color, s.thickness_mm = thickness;
  s.grammage_gsm = grammage, s.settings = std::move(settings);
  return s;
}

Stock clear_stock(std::string id, std::string name, Color color, double thickness, std::map<Role, Setting> settings) {
  Stock s = stock(std::move(id), std::move(name), color, thickness, 0, std::move(settings));
  s.clear = true;
  return s;
}

/// Marked and never cut: ink that dries by soaking in does not stay on it.
Stock blank(Stock s) {
  s.takes_ink = false, s.never_cut = true;
  return s;
}

}  // namespace

double grammage_of_cover(double pounds) {
  constexpr double kGramsPerPound = 453.59237;
  constexpr double kSheetM2 = 20 * 26 * kMmPerInch * kMmPerInch / 1e6;
  return pounds * kGramsPerPound / (500 * kSheetM2);
}

std::vector<Tool> preset_tools() {
  return {
      tool("fine-blade", "Fine blade", ToolKind::blade, {Role::cut}, 0.1, 20, 150, 0.25),
      tool("blade", "Normal blade", ToolKind::blade, {Role::cut}, 0.1, 40, 250, 0.6),
      tool("deep-blade", "Deep blade", ToolKind::blade, {Role::cut}, 0.15, 60, 350, 2.0),
      tool("scoring-tip", "Scoring tip", ToolKind::scoring_tip, {Role::score}, 0.8, 40, 250, 1.0),
      tool("pen-black", "Fine pen 0.4, black", ToolKind::pen, {Role::draw}, 0.4, 10, 80, 2.0, {32, 32, 32}),
      tool("pencil", "Pencil", ToolKind::pencil, {Role::draw, Role::guide}, 0.5, 5, 30, 2.0, {110, 110, 110}),
      tool("chisel-marker", "Chisel marker 2.0", ToolKind::chisel_marker, {Role::draw}, 2.0, 10, 60, 2.0, {70, 60, 90}),
      tool("foil-tip-fine", "Foil tip 0.5", ToolKind::foil_tip, {Role::foil}, 0.5, 30, 150, 1.0, {176, 124, 40}),
      tool("foil-tip-bold", "Foil tip 1.2", ToolKind::foil_tip, {Role::foil}, 1.2, 30, 200, 1.0, {176, 124, 40}),
      tool("engraving-tip", "Engraving tip", ToolKind::engraving_tip, {Role::engrave}, 0.2, 60, 350, 2.0,
           {120, 120, 120}),
      tool("embossing-tip", "Embossing tip", ToolKind::embossing_tip, {Role::emboss}, 1.0, 60, 350, 0.6,
           {150, 150, 150}),
      tool("stippling-point", "Stippling point", ToolKind::stippling_point, {Role::emboss}, 0.4, 40, 250, 0.6,
           {150, 150, 150}),
  };
}

Tool pen_of(Color ink, double tip_width_mm) {
  const std::string shade = hex(ink);
  return tool("pen-" + shade.substr(1), "Pen " + rounded_text(tip_width_mm, 2) + ", " + color_name(ink), ToolKind::pen,
              {Role::draw}, tip_width_mm, 10, 80, 2.0, ink);
}

std::vector<Stock> preset_stocks() {
  using enum Role;
  return {
      stock("paper", "Paper", {250, 248, 243}, 0.10, 90,
            {{cut, {50, 80, 1, 1}}, {score, {40, 80, 0, 1}}, {draw, {25, 90, 0, 1}}, {foil, {50, 25, 0, 1}}}),
      stock("cover-65", "Cover card 65 lb", {244, 240, 230}, 0.24, grammage_of_cover(65),
            {{cut, {130, 60, 4, 1}}, {score, {110, 60, 0, 1}}, {draw, {30, 90, 0, 1}}, {foil, {80, 25, 0, 1}}}),
      stock("cover-80", "Cover card 80 lb", {236, 229, 214}, 0.30, grammage_of_cover(80),
            {{cut, {170, 50, 5, 1}}, {score, {140, 50, 0, 1}}, {draw, {30, 90, 0, 1}}, {foil, {90, 25, 0, 1}}}),
      stock("vinyl", "Vinyl", {206, 224, 222}, 0.08, 0, {{cut, {60, 80, 1, 1}}, {draw, {25, 80, 0, 1}}}),
      stock("cotton-fused", "Cotton, fusible-backed", {226, 200, 190}, 0.35, 0,
            {{cut, {180, 40, 5, 1}}, {draw, {20, 60, 0, 1}}}),
      stock("felt", "Felt", {196, 208, 186}, 1.2, 0, {{cut, {260, 25, 8, 2}}, {draw, {20, 50, 0, 1}}}),
      stock("stencil-film", "Stencil film", {214, 226, 236}, 0.19, 0, {{cut, {210, 30, 5, 2}}, {draw, {25, 60, 0, 1}}}),
      blank(clear_stock("acrylic", "Acrylic blank", {222, 232, 236}, 1.5, {{engrave, {220, 25, 0, 1}}})),
      blank(stock("soft-metal", "Soft metal blank", {201, 178, 120}, 0.8, 0, {{engrave, {250, 20, 0, 4}}})),
  };
}

std::vector<Mat> preset_mats() {
  return {{"12 x 12 in", 12 * kMmPerInch, 12 * kMmPerInch}, {"12 x 24 in", 12 * kMmPerInch, 24 * kMmPerInch}};
}

Project new_project(std::string name) {
  Project p;
  p.name = std::move(name);
  p.tools = preset_tools();
  p.stocks = preset_stocks();
  p.machine.name = "Two-holder cutter";
  p.machine.mat = preset_mats().front();
  return p;
}

}  // namespace dotlane
