#include "core/format/svg_writer.hpp"

#include <pugixml.hpp>
#include <set>
#include <sstream>

#include "core/format/job_lines.hpp"
#include "core/geometry/path_data.hpp"
#include "core/project/edit.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// 0.1 µm: finer than any cutter, and ten edits of rounding still stay below 1 µm.
constexpr int kDecimals = 4;

class Writer {
 public:
  Writer(const Project& project, const Layout& layout, const Plan& plan)
      : project_(project), layout_(layout), plan_(plan) {}

  std::string write(const ExportSelection& selection) {
    auto root = document_.append_child("svg");
    const auto& mat = project_.machine.mat;
    const std::string w = rounded_text(mat.width_mm, kDecimals), h = rounded_text(mat.height_mm, kDecimals);
    root.append_attribute("xmlns") = "http://www.w3.org/2000/svg";
    root.append_attribute("width") = (w + "mm").c_str();
    root.append_attribute("height") = (h + "mm").c_str();
    root.append_attribute("viewBox") = ("0 0 " + w + " " + h).c_str();
    root.append_child("title").text() = project_.name.c_str();
    pugi::xml_node group;
    const Pass* pass = nullptr;
    for (const auto& line : job_lines(layout_, plan_, selection)) {
      if (!group || line.pass != pass) {
        pass = line.pass;
        const Tool* tool = pass ? find_tool(project_, pass->tool) : nullptr;
        group = pass ? add_group(root, "pass-" + std::to_string(pass->index),
                                 std::to_string(pass->index) + " " + std::string(word(pass->role)) + " " +
                                     (tool ? tool->name : pass->tool))
                     : add_group(root, "not-run", "not run");
      }
      add_line(group, line);
    }
    std::ostringstream out;
    document_.save(out, "  ");
    return out.str();
  }

 private:
  const Project& project_;
  const Layout& layout_;
  const Plan& plan_;
  pugi::xml_document document_;
  std::set<std::string> ids_;

  static pugi::xml_node add_group(pugi::xml_node root, const std::string& id, const std::string& label) {
    auto group = root.append_child("g");
    group.append_attribute("id") = id.c_str();
    group.append_attribute("aria-label") = label.c_str();
    group.append_attribute("fill") = "none";
    group.append_attribute("stroke-width") = "0.2";
    group.append_child("title").text() = label.c_str();
    return group;
  }

  void add_line(pugi::xml_node group, const JobLine& job_line) {
    const Line& line = job_line.shown();
    auto path = group.append_child("path");
    std::string id = std::to_string(job_line.piece->piece->id) + "-" + line.id;
    if (ids_.insert(id).second) path.append_attribute("id") = id.c_str();
    path.append_attribute("stroke") = hex(job_line.color(project_)).c_str();
    if (line.role == Role::score) path.append_attribute("stroke-dasharray") = "3 2";
    if (line.path->fill_rule == FillRule::evenodd) path.append_attribute("fill-rule") = "evenodd";
    path.append_attribute("d") = path_data(job_line.path(), kDecimals).c_str();
  }
};

}  // namespace

std::string write_svg(const Project& project, const Layout& layout, const Plan& plan,
                      const ExportSelection& selection) {
  return Writer(project, layout, plan).write(selection);
}

std::string write_drawing_svg(const Drawing& drawing, const Box& page, const std::string& title) {
  Box box = page;
  for (const auto& piece : drawing.pieces) box.add(tight_bounds(*piece));
  if (box.empty()) box = Box::of(0, 0, 10, 10);
  pugi::xml_document document;
  auto root = document.append_child("svg");
  auto number = [](double v) { return rounded_text(v, kDecimals); };
  root.append_attribute("xmlns") = "http://www.w3.org/2000/svg";
  root.append_attribute("width") = (number(box.width()) + "mm").c_str();
  root.append_attribute("height") = (number(box.height()) + "mm").c_str();
  root.append_attribute("viewBox") =
      (number(box.x0) + " " + number(box.y0) + " " + number(box.width()) + " " + number(box.height())).c_str();
  root.append_child("title").text() = title.c_str();
  std::set<std::string> ids;
  // What lies lowest is painted first.
  for (auto piece = drawing.pieces.rbegin(); piece != drawing.pieces.rend(); ++piece) {
    auto parent = root;
    if (drawing.pieces.size() > 1) {
      parent = root.append_child("g");
      parent.append_attribute("aria-label") = (*piece)->piece->name.c_str();
    }
    for (const auto& line : (*piece)->piece->lines) {
      auto path = parent.append_child("path");
      std::string id = line.id;
      for (int n = 2; !ids.insert(id).second; ++n) id = line.id + "-" + std::to_string(n);
      path.append_attribute("id") = id.c_str();
      path.append_attribute("data-role") = std::string(word(line.role)).c_str();
      path.append_attribute("stroke") = hex(line.color).c_str();
      path.append_attribute("stroke-width") = "0.2";
      path.append_attribute("fill") = line.filled ? hex(line.color).c_str() : "none";
      if (line.path->fill_rule == FillRule::evenodd) path.append_attribute("fill-rule") = "evenodd";
      path.append_attribute("d") = path_data(transformed(*line.path, (*piece)->map * line.at), kDecimals + 1).c_str();
    }
  }
  std::ostringstream out;
  document.save(out, "  ");
  return out.str();
}

namespace {

void add_shape(pugi::xml_node group, const SheetPath& p, int decimals) {
  auto path = group.append_child("path");
  path.append_attribute("id") = p.id.c_str();
  path.append_attribute("stroke") = hex(p.color).c_str();
  if (p.path.fill_rule == FillRule::evenodd) path.append_attribute("fill-rule") = "evenodd";
  path.append_attribute("d") = path_data(p.path, decimals).c_str();
}

}  // namespace

std::string write_sheets_svg(double width, double height, std::size_t sheets, const std::vector<SheetPath>& paths) {
  constexpr double kBetween = 10;
  pugi::xml_document document;
  auto root = document.append_child("svg");
  const double all = std::max(width, static_cast<double>(sheets) * (width + kBetween) - kBetween);
  const std::string w = rounded_text(all, kDecimals), h = rounded_text(height, kDecimals);
  root.append_attribute("xmlns") = "http://www.w3.org/2000/svg";
  root.append_attribute("width") = (w + "mm").c_str();
  root.append_attribute("height") = (h + "mm").c_str();
  root.append_attribute("viewBox") = ("0 0 " + w + " " + h).c_str();
  for (std::size_t s = 0; s < sheets; ++s) {
    auto group = root.append_child("g");
    const double x = static_cast<double>(s) * (width + kBetween);
    group.append_attribute("id") = ("sheet-" + std::to_string(s + 1)).c_str();
    group.append_attribute("transform") = ("translate(" + rounded_text(x, kDecimals) + " 0)").c_str();
    group.append_attribute("fill") = "none";
    group.append_attribute("stroke-width") = "0.2";
    for (const auto& p : paths) {
      if (p.sheet != s) continue;
      add_shape(group, p, kDecimals);
    }
  }
  std::ostringstream out;
  document.save(out, "  ");
  return out.str();
}

std::string write_shapes_svg(double width, double height, const std::vector<SheetPath>& paths) {
  constexpr int kNanometre = 6;
  pugi::xml_document document;
  auto root = document.append_child("svg");
  const std::string w = rounded_text(width, kDecimals), h = rounded_text(height, kDecimals);
  root.append_attribute("xmlns") = "http://www.w3.org/2000/svg";
  root.append_attribute("width") = (w + "mm").c_str();
  root.append_attribute("height") = (h + "mm").c_str();
  root.append_attribute("viewBox") = ("0 0 " + w + " " + h).c_str();
  root.append_attribute("fill") = "none";
  root.append_attribute("stroke-width") = "0.2";
  for (const auto& p : paths) add_shape(root, p, kNanometre);
  std::ostringstream out;
  document.save(out, "  ");
  return out.str();
}

}  // namespace dotlane
