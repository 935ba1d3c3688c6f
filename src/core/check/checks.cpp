#include "core/check/checks.hpp"

#include <algorithm>
#include <map>
#include <set>

#include "core/check/doubled.hpp"
#include "core/check/fill_checks.hpp"
#include "core/check/finding_list.hpp"
#include "core/check/layout_checks.hpp"
#include "core/check/lettering_checks.hpp"
#include "core/check/print_checks.hpp"
#include "core/check/run_checks.hpp"
#include "core/check/shape_checks.hpp"
#include "core/check/stencil_checks.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/split/large_parts.hpp"
#include "core/plan/by_hand.hpp"
#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// Gaps up to this many mm are offered for closing (common practice, no published source).
constexpr double kClosable = 2.0;

double counted(const std::vector<LineRef>& lines) { return static_cast<double>(lines.size()); }

class Checker : FindingList {
 public:
  Checker(const Project& p, const Drawing& d, const Layout& l, const Plan& n)
      : project_(p), drawing_(d), layout_(l), plan_(n) {}

  std::vector<Finding> run() {
    places();
    tools();
    stocks();
    open_cuts();
    doubled_cuts();
    for (auto& finding : check_shapes(project_, drawing_)) out_.push_back(std::move(finding));
    for (auto& finding : check_lettering(project_, drawing_)) out_.push_back(std::move(finding));
    for (auto& finding : check_stencils(project_, drawing_)) out_.push_back(std::move(finding));
    for (auto& finding : check_fills(project_, drawing_, plan_)) out_.push_back(std::move(finding));
    for (auto& finding : check_layout(project_, drawing_, layout_)) out_.push_back(std::move(finding));
    for (auto& finding : check_run(project_, drawing_, layout_, plan_)) out_.push_back(std::move(finding));
    for (auto& finding : check_print(project_, layout_)) out_.push_back(std::move(finding));
    turned_over();
    notes();
    guesses();
    std::stable_sort(out_.begin(), out_.end(),
                     [](const Finding& a, const Finding& b) { return a.severity > b.severity; });
    return std::move(out_);
  }

 private:
  const Project& project_;
  const Drawing& drawing_;
  const Layout& layout_;
  const Plan& plan_;

  template <class Visit>
  void each_line(Visit visit) const {
    for (const auto& piece : drawing_.pieces) {
      for (std::size_t i = 0; i < piece->piece->lines.size(); ++i) visit(*piece, piece->piece->lines[i], i);
    }
  }

  /// What lies on the sheets, top layer first.
  std::vector<std::pair<const Sheet*, const LaidPiece*>> laid_pieces() const {
    std::vector<std::pair<const Sheet*, const LaidPiece*>> out;
    for (const auto& placed : layout_.sheets) {
      for (const auto& piece : placed.pieces) out.emplace_back(&placed.sheet, &piece);
    }
    std::stable_sort(out.begin(), out.end(),
                     [](const auto& a, const auto& b) { return a.second->layer < b.second->layer; });
    return out;
  }

  /// The part that it is all of, unless it lies there as drawn.
  const LaidPart* own_part(const LaidPiece& piece) const {
    for (const auto& line : *piece.laid) {
      for (const std::size_t k : line) {
        if (k != npos) return layout_.laid[k].drawn ? nullptr : &layout_.laid[k];
      }
    }
    return nullptr;
  }

  /// How far the box reaches beyond the area, mm; 0 inside.
  static double beyond(const Box& box, const Box& area) {
    return std::max({0.0, area.x0 - box.x0, area.y0 - box.y0, box.x1 - area.x1, box.y1 - area.y1});
  }

  void places() {
    constexpr double kSlack = 0.1;  // mm: less is nobody's fault
    const Box mat = project_.machine.mat_area(), usable = project_.machine.usable_area();
    for (const auto& sheet : project_.sheets) {
      const Stock* stock = find_stock(project_, sheet.stock);
      if (stock && beyond(sheet.area, mat) > kSlack) {
        add("sheet-off-mat", Severity::warning, {{"stock", stock->name}, {"past", beyond(sheet.area, mat)}});
      }
    }
    for (const auto& [sheet, laid] : laid_pieces()) {
      const DrawnPiece* piece = laid->drawn.get();
      const LaidPart* part = own_part(*laid);
      std::vector<LineRef> off_mat, off_usable, off_sheet;
      Box run;  // what a tool will follow
      double past_sheet = 0;
      for (std::size_t i = 0; i < piece->line_bounds.size(); ++i) {
        const Line& line = piece->piece->lines[i];
        const Box& box = piece->line_bounds[i];
        if (!runs(line.role) || box.empty()) continue;
        run.add(box);
        const LineRef ref{piece->piece->id, line.id};
        if (beyond(box, mat) > kSlack) {
          off_mat.push_back(ref);
        } else if (beyond(box, usable) > kSlack) {
          off_usable.push_back(ref);
        }
        if (beyond(box, sheet->area) > kSlack) {
          off_sheet.push_back(ref);
          past_sheet = std::max(past_sheet, beyond(box, sheet->area));
        }
      }
      const bool fits = run.width() <= usable.width() && run.height() <= usable.height();
      auto offer = [&](Finding& finding) {
        if (fits && !part)
          finding.fixes.push_back({Fix::Kind::bring_onto_mat, {"fix-onto-mat"}, "", 0, {{piece->piece->id, ""}}});
        const bool cut = std::any_of(piece->piece->lines.begin(), piece->piece->lines.end(),
                                     [](const Line& line) { return line.role == Role::cut; });
        if (!fits && cut) finding.fixes.push_back({Fix::Kind::divide, {"fix-divide"}, "", 0, {{piece->piece->id, ""}}});
      };
      const Figures figures{{"piece", part ? layout_.parts[part->part].name : piece->piece->name},
                            {"width", run.width()},
                            {"height", run.height()},
                            {"room-width", usable.width()},
                            {"room-height", usable.height()}};
      auto past = [&](double by) {
        Figures out = figures;
        out["past"] = by;
        return out;
      };
      const std::string form = fits ? "" : "too-large";
      if (!off_mat.empty()) {
        offer(add("off-mat", Severity::error, past(beyond(run, mat)), off_mat, form));
      } else if (!off_usable.empty()) {
        offer(add("off-usable", Severity::warning, past(beyond(run, usable)), off_usable, form));
      }
      if (off_mat.empty() && !off_sheet.empty()) add("off-sheet", Severity::warning, past(past_sheet), off_sheet);
    }
  }

  void tools() {
    std::vector<LineRef> missing;
    std::map<std::pair<std::string, Role>, std::vector<LineRef>> wrong;
    std::map<std::pair<std::string, std::string>, std::vector<LineRef>> thick;
    each_line([&](const DrawnPiece& piece, const Line& line, std::size_t) {
      if (!runs(line.role)) return;
      const LineRef ref{piece.piece->id, line.id};
      const Tool* tool = find_tool(project_, line.tool);
      const Stock* stock = find_stock(project_, piece.piece->stock);
      if (!tool) {
        missing.push_back(ref);
      } else if (!serves(*tool, line.role)) {
        wrong[{tool->id, line.role}].push_back(ref);
      } else if (stock && stock->thickness_mm > tool->thickest_mm) {
        thick[{tool->id, stock->id}].push_back(ref);
      }
    });
    auto offer = [&](Finding& finding, Role role, const std::string& stock) {
      Project copy = project_;
      const std::string better = choose_tool(copy, role, {}, stock);
      const Tool* tool = find_tool(project_, better);
      const Stock* material = find_stock(project_, stock);
      if (tool && (!material || material->thickness_mm <= tool->thickest_mm)) {
        finding.fixes.push_back({Fix::Kind::use_tool, {"fix-use-tool", {{"tool", tool->name}}}, better, 0, {}});
      }
    };
    if (!missing.empty()) add("tool-missing", Severity::error, {{"lines", counted(missing)}}, missing);
    for (const auto& [key, lines] : wrong) {
      auto& finding = add("tool-role", Severity::error,
                          {{"tool", find_tool(project_, key.first)->name},
                           {"role", std::string(word(key.second))},
                           {"lines", counted(lines)}},
                          lines);
      const Piece* piece = find_piece(project_, lines.front().piece);
      if (key.second != Role::draw) offer(finding, key.second, piece ? piece->stock : "");
    }
    for (const auto& [key, lines] : thick) {
      const Tool* tool = find_tool(project_, key.first);
      const Stock* stock = find_stock(project_, key.second);
      auto& finding = add(
          "tool-stock", Severity::warning,
          {{"stock", stock->name}, {"thick", stock->thickness_mm}, {"tool", tool->name}, {"most", tool->thickest_mm}},
          lines);
      const DrawnPiece* piece = find_drawn(drawing_, lines.front().piece);
      for (const auto& line : piece->piece->lines) {
        if (line.id == lines.front().line) offer(finding, line.role, stock->id);
      }
    }
  }

  void stocks() {
    const Machine& m = project_.machine;
    for (const auto& placed : layout_.sheets) {
      const Stock* stock = find_stock(project_, placed.sheet.stock);
      if (!stock || placed.pieces.empty()) continue;
      if (stock->thickness_mm > m.rated_thickness_mm) {
        add("stock-over-rating", Severity::warning,
            {{"stock", stock->name}, {"thick", stock->thickness_mm}, {"most", m.rated_thickness_mm}});
      }
      std::set<Role> used;
      for (const auto& piece : placed.pieces) {
        const auto& lines = piece.drawn->piece->lines;
        for (std::size_t i = 0; i < lines.size(); ++i) {
          if (!piece.drawn->flat->lines[i].polylines->empty()) used.insert(lines[i].role);
        }
      }
      for (const Role role : used) {
        const double force = setting_for(*stock, role).force_gf;
        if (runs(role) && force > m.max_force_gf) {
          add("force-over-rating", Severity::warning,
              {{"stock", stock->name}, {"force", force}, {"role", std::string(word(role))}, {"most", m.max_force_gf}});
        }
      }
    }
  }

  void open_cuts() {
    std::vector<LineRef> closable, open;
    double widest = 0;
    each_line([&](const DrawnPiece& piece, const Line& line, std::size_t) {
      if (line.role != Role::cut) return;
      bool any = false, near = true;
      for (const auto& c : line.path->contours) {
        if (c.closed || c.segments.empty()) continue;
        any = true;
        const Affine map = piece.map * line.at;
        const double gap = distance(map(c.start), map(c.segments.back().end));
        near = near && gap <= kClosable;
        if (gap <= kClosable) widest = std::max(widest, gap);
      }
      if (any) (near ? closable : open).push_back({piece.piece->id, line.id});
    });
    if (!closable.empty()) {
      auto& finding = add("open-cut", Severity::warning, {{"lines", counted(closable)}, {"gap", widest}}, closable);
      // A recipe closes gaps by a step; a piece with lines of its own has them closed for good.
      const bool made = std::any_of(closable.begin(), closable.end(), [&](const LineRef& ref) {
        const Piece* piece = find_piece(project_, ref.piece);
        return piece && !piece->plain();
      });
      Fix fix{made ? Fix::Kind::add_step : Fix::Kind::close_ends, {"fix-close-gaps"}, "", kClosable, {}};
      if (made) fix.step = Step{0, "close-gaps", true, {{"under", widest + 0.01}}, {}, {}};
      finding.fixes.push_back(std::move(fix));
    }
    if (!open.empty()) add("open-cut", Severity::warning, {{"lines", counted(open)}}, open, "slit");
  }

  void doubled_cuts() {
    constexpr double kLeast = 1.0;
    for (const auto& placed : layout_.sheets) {
      std::vector<std::vector<Polyline>> polylines;
      std::vector<LineRef> owner;
      std::map<LineRef, double> length;
      for (const auto& laid : placed.pieces) {
        const DrawnPiece& piece = *laid.drawn;
        for (std::size_t i = 0; i < piece.piece->lines.size(); ++i) {
          const Line& line = piece.piece->lines[i];
          if (line.role != Role::cut) continue;
          for (std::size_t c = 0; c < piece.flat->lines[i].polylines->size(); ++c) {
            polylines.push_back({piece.course(i, c)});
            owner.push_back({piece.piece->id, line.id});
            length[owner.back()] += length_of(polylines.back().front());
          }
        }
      }
      std::vector<LineRef> lines;
      std::set<LineRef> named;
      double total = 0;
      std::map<LineRef, double> covered;
      for (const auto& pair : find_doubled(polylines, kDoubled, kLeast)) {
        total += pair.length_mm;
        for (const auto& ref : {owner[pair.first], owner[pair.second]}) {
          if (named.insert(ref).second) lines.push_back(ref);
        }
        if (!(owner[pair.first] == owner[pair.second])) covered[owner[pair.second]] += pair.length_mm;
      }
      if (lines.empty()) continue;
      auto& finding = add("doubled-cut", Severity::warning, {{"length", total}}, lines);
      Fix fix{Fix::Kind::remove_lines, {"fix-remove-doubles"}, "", 0, {}};
      for (const auto& [ref, mm_covered] : covered) {
        if (mm_covered > 0.98 * length[ref]) fix.on.push_back(ref);
      }
      if (!fix.on.empty()) finding.fixes.push_back(std::move(fix));
    }
  }

  /// What is engraved on the back of a clear blank reads through it when it is mirrored exactly once; what is fused is
  /// the right way round when its web was.
  void turned_over() {
    for (const auto& drawn : drawing_.pieces) {
      const Stock* stock = find_stock(project_, drawn->piece->stock);
      const Piece* piece = find_piece(project_, drawn->piece->id);
      if (!stock || !piece) continue;
      const Step* fused = nullptr;
      bool over = piece->placement.determinant() < 0;
      for (const auto& step : piece->steps) {
        if (!step.on) continue;
        const KindSpec* kind = find_kind(step_kinds(), step.kind);
        if (!kind) continue;
        const Reading take(*kind, step.values);
        if (step.kind == "mirror" && !take.flag("keep")) over = !over;
        if (step.kind != "applique" || !take.is("edge", "fused")) continue;
        fused = &step;
        if (take.flag("turn-over")) over = !over;
      }
      const bool engraved = stock->clear && std::any_of(drawn->piece->lines.begin(), drawn->piece->lines.end(),
                                                        [](const Line& l) { return l.role == Role::engrave; });
      if ((!engraved && !fused) || over != plan_.mirrored) continue;
      auto& f = add(over    ? "mirrored-twice"
                    : fused ? "fused-not-mirrored"
                            : "clear-not-mirrored",
                    over || fused ? Severity::warning : Severity::info,
                    {{"piece", piece->name}, {"stock", stock->name}}, {{piece->id, ""}});
      if (fused) {
        f.fixes.push_back({Fix::Kind::mirror_job, {plan_.mirrored ? "fix-job-plain" : "fix-job-mirrored"}, "", 0, {}});
        Fix fix{Fix::Kind::change_step, {over ? "fix-not-over" : "fix-mirror"}, "", 0, {}, {}};
        fix.step.id = fused->id;
        fix.step.values = {
            {"turn-over", !Reading(*find_kind(step_kinds(), "applique"), fused->values).flag("turn-over")}};
        f.fixes.push_back(std::move(fix));
      } else if (!over) {
        Fix fix{Fix::Kind::add_step, {"fix-mirror"}, "", 0, {}, {}};
        fix.step.kind = "mirror";
        f.fixes.push_back(std::move(fix));
      }
    }
  }

  void notes() {
    if (plan_.mirrored) add("mirrored", Severity::info, {});
    for (const auto& piece : drawing_.pieces) {
      for (Finding note : piece->piece->source.notes) {
        if (note.code == "size-assumed") {
          // The note speaks of the page; here the size of the artwork itself is what the choice is about.
          const bool units = note.form == "units";
          const auto likely = likely_per_inch(note);
          note.form = units ? "artwork-units" : "artwork";
          note.figures = {{"per-inch", piece->piece->source.per_inch},
                          {"width", piece->bounds.width()},
                          {"height", piece->bounds.height()}};
          if (units) note.figures["unit"] = std::string(unit_of(piece->piece->source.per_inch));
          for (const double per_inch : likely) {
            const double s = piece->piece->source.per_inch / per_inch;
            note.fixes.push_back({Fix::Kind::set_per_inch,
                                  {units ? "fix-units" : "fix-per-inch",
                                   {{"per-inch", per_inch},
                                    {"unit", std::string(unit_of(per_inch))},
                                    {"width", piece->bounds.width() * s},
                                    {"height", piece->bounds.height() * s}}},
                                  "",
                                  per_inch,
                                  {{piece->piece->id, ""}}});
          }
        }
        note.figures["piece"] = piece->piece->name;
        out_.push_back(std::move(note));
      }
    }
  }

  void guesses() {
    std::vector<LineRef> lines;
    Figures figures;
    each_line([&](const DrawnPiece& piece, const Line& line, std::size_t) {
      if (!line.role_guessed || piece.piece->helper) return;  // what only shapes others has no role
      lines.push_back({piece.piece->id, line.id});
      Figure& n = figures.try_emplace(std::string(word(line.role)), 0.0).first->second;
      n = std::get<double>(n) + 1;
    });
    if (lines.empty()) return;
    figures["lines"] = counted(lines);
    auto& finding = add("role-guessed", Severity::warning, std::move(figures), std::move(lines));
    finding.fixes.push_back({Fix::Kind::confirm_roles, {"fix-confirm-roles"}, "", 0, {}});
  }
};

std::vector<int> pieces_of(const std::vector<LineRef>& lines) {
  std::set<int> ids;
  for (const auto& ref : lines) ids.insert(ref.piece);
  return {ids.begin(), ids.end()};
}

}  // namespace

std::vector<Finding> check(const Project& project, const Drawing& drawing, const Layout& layout, const Plan& plan) {
  return Checker(project, drawing, layout, plan).run();
}

bool takes_long(const Fix& fix) {
  return fix.kind == Fix::Kind::divide || fix.kind == Fix::Kind::plan_again || fix.kind == Fix::Kind::find_room;
}

Project apply_fix(Project project, const Drawing& drawing, const Finding& finding, const Fix& fix) {
  const auto& lines = fix.on.empty() ? finding.lines : fix.on;
  switch (fix.kind) {
    case Fix::Kind::bring_onto_mat:
      return bring_onto_mat(std::move(project), drawing, pieces_of(lines));
    case Fix::Kind::close_ends:
      return close_ends(std::move(project), lines, fix.number);
    case Fix::Kind::remove_lines:
      return remove_lines(std::move(project), lines);
    case Fix::Kind::confirm_roles:
      return confirm_roles(std::move(project), lines);
    case Fix::Kind::mirror_job:
      project.plan.mirrored = !project.plan.mirrored;
      return project;
    case Fix::Kind::find_room:
      return find_room(project, drawing, lay_out(project, drawing), fix.laid);
    case Fix::Kind::restore_order:
      project.plan.role_order = PlanSettings{}.role_order;
      project.plan.by_hand.clear();
      return project;
    case Fix::Kind::forget_order_by_hand:
      project.plan.by_hand.clear();
      return project;
    case Fix::Kind::plan_again: {
      const Plan plan = make_plan(project, lay_out(project, drawing));
      return plan_again(std::move(project), drawing, plan);
    }
    case Fix::Kind::set_per_inch:
      for (const int id : pieces_of(lines)) project = settle_size(std::move(project), id, fix.number);
      return project;
    case Fix::Kind::add_step:
      for (const int id : pieces_of(lines)) {
        if (auto next = add_step(project, id, fix.step)) project = std::move(*next);
      }
      return project;
    case Fix::Kind::change_step:
      for (const int id : pieces_of(lines)) {
        for (const auto& [key, value] : fix.step.values) {
          auto next = fix.step.id == 0 ? set_source_value(project, id, key, value)
                                       : set_step_value(project, id, fix.step.id, key, value);
          if (next) project = std::move(*next);
        }
      }
      return project;
    case Fix::Kind::set_role:
      if (const auto role = role_from(fix.tool)) project = assign_role(std::move(project), lines, *role);
      return project;
    case Fix::Kind::print_sheet:
      for (auto& sheet : project.sheets) sheet.printed = sheet.printed || sheet.id == static_cast<int>(fix.number);
      return project;
    case Fix::Kind::divide: {
      DrawingCache cache;
      return divide_large(project, pieces_of(lines), cache).project;
    }
    case Fix::Kind::stroke_by_stroke:
      return set_stroke_by_stroke(std::move(project), lines, true);
    case Fix::Kind::use_tool: {
      std::map<Role, std::vector<LineRef>> by_role;
      for (const auto& ref : lines) {
        const DrawnPiece* piece = find_drawn(drawing, ref.piece);
        if (!piece) continue;
        for (const auto& line : piece->piece->lines) {
          if (line.id == ref.line) by_role[line.role].push_back(ref);
        }
      }
      for (const auto& [role, refs] : by_role) project = assign_role(std::move(project), refs, role, fix.tool);
      return project;
    }
  }
  return project;
}

std::optional<Severity> worst(const std::vector<Finding>& findings) {
  std::optional<Severity> out;
  for (const auto& f : findings) out = out ? std::max(*out, f.severity) : f.severity;
  return out;
}

}  // namespace dotlane
