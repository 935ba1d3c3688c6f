#include "core/check/print_checks.hpp"

#include <set>

#include "core/check/finding_list.hpp"
#include "core/layout/print_art.hpp"
#include "core/layout/print_marks.hpp"

namespace dotlane {
namespace {

class PrintChecker : FindingList {
 public:
  PrintChecker(const Project& p, const Layout& l) : project_(p), layout_(l) {}

  std::vector<Finding> run() {
    for (const auto& placed : layout_.sheets) {
      if (placed.sheet.not_now) continue;
      if (!placed.sheet.printed) {
        if (prints(project_, placed)) missing(placed);
      } else if (const auto marks = marks_of(project_, placed.sheet)) {
        on_marks(placed, *marks);
        if (!project_.machine.reads_marks)
          add("print-by-hand", Severity::info, {{"sheet", number_of(placed)}}, print_lines(placed));
      } else {
        add("print-no-marks", Severity::warning, {{"sheet", number_of(placed)}, {"least", kMarkLeastSheet}},
            print_lines(placed), placed.sheet.outline.empty() ? "" : "scrap");
      }
    }
    return std::move(out_);
  }

 private:
  const Project& project_;
  const Layout& layout_;

  double number_of(const LaidSheet& placed) const { return static_cast<double>(&placed - layout_.sheets.data()) + 1; }

  static std::vector<LineRef> print_lines(const LaidSheet& placed) {
    std::set<LineRef> out;
    for (const auto& there : placed.pieces) {
      const auto& lines = there.drawn->piece->lines;
      for (std::size_t i = 0; i < lines.size(); ++i) {
        if (lines[i].role == Role::print && !there.drawn->flat->lines[i].polylines->empty())
          out.insert({there.drawn->piece->id, lines[i].id});
      }
    }
    return {out.begin(), out.end()};
  }

  void missing(const LaidSheet& placed) {
    const auto lines = print_lines(placed);
    Finding& finding = add("print-missing", Severity::warning,
                           {{"sheet", number_of(placed)}, {"lines", static_cast<double>(lines.size())}}, lines,
                           lines.empty() ? "picture" : "");
    if (!placed.sheet.outline.empty()) return;
    finding.fixes.push_back(
        {Fix::Kind::print_sheet, {"fix-print-sheet"}, "", static_cast<double>(placed.sheet.id), {}});
  }

  /// Something that is worked or printed where the marks are.
  void on_marks(const LaidSheet& placed, const PrintMarks& marks) {
    const Affine printed = onto_print(project_, placed.sheet);
    std::vector<std::pair<Vec, double>> dots;
    for (const Vec dot : marks.dots) dots.emplace_back(dot, kMarkDot / 2 + kMarkQuiet);
    dots.emplace_back(marks.second, kMarkSecondDot / 2 + kMarkQuiet);
    std::set<LineRef> lines;
    for (const auto& there : placed.pieces) {
      const DrawnPiece& drawn = *there.drawn;
      for (std::size_t i = 0; i < drawn.piece->lines.size(); ++i) {
        const Line& line = drawn.piece->lines[i];
        const auto& polylines = *drawn.flat->lines[i].polylines;
        if (line.role == Role::guide || polylines.empty()) continue;
        const double bleed = line.role == Role::print ? project_.laying.bleed_mm : 0;
        for (const auto& [centre, radius] : dots) {
          const Vec at = printed(centre);  // the map undoes itself
          if (!drawn.line_bounds[i].grown(radius + bleed).contains(at)) continue;
          for (std::size_t c = 0; c < polylines.size(); ++c) {
            const Polyline course = drawn.course(i, c);
            const bool covers = line.role == Role::print && line.filled && course.closed &&
                                encloses(region_of({course.points}, FillRule::nonzero), at);
            if (covers || distance_to(course, at) < radius + bleed) lines.insert({drawn.piece->id, line.id});
          }
        }
      }
    }
    if (lines.empty()) return;
    add("print-on-marks", Severity::error,
        {{"sheet", number_of(placed)}, {"lines", static_cast<double>(lines.size())}, {"quiet", kMarkQuiet}},
        {lines.begin(), lines.end()});
  }
};

}  // namespace

std::vector<Finding> check_print(const Project& project, const Layout& layout) {
  return PrintChecker(project, layout).run();
}

}  // namespace dotlane
