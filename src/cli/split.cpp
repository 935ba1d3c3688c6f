#include "cli/split.hpp"

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_writer.hpp"
#include "core/layout/split/large_parts.hpp"
#include "core/project/edit.hpp"
#include "core/shape/line_set.hpp"

namespace dotlane::cli {
namespace {

constexpr double kFine = 0.0005;  // curves as chords within so many mm

std::vector<Region> shapes_in(const Artwork& art) {
  std::vector<Region> out;
  for (const auto& line : art.lines) out.push_back(region_of(line.path, kFine));
  return out;
}

Artwork drawing_in(const std::string& file, double per_inch) {
  ReadOptions options;
  options.assumed_per_inch = per_inch;
  return need(read_artwork(need(read_file(file, options.max_bytes)), file, options));
}

Path path_of(const Region& region) {
  Path out;
  out.fill_rule = FillRule::evenodd;
  for (const auto& ring : region.rings) {
    Contour contour{ring.front(), {}, true};
    for (std::size_t i = 1; i <= ring.size(); ++i) contour.segments.push_back(Segment::line(ring[i % ring.size()]));
    out.contours.push_back(std::move(contour));
  }
  return out;
}

SeamKind seam_kind(const std::string& word) {
  return word == "overlap"    ? SeamKind::overlap
         : word == "tab"      ? SeamKind::tab
         : word == "dovetail" ? SeamKind::dovetail
                              : SeamKind::butt;
}

/// Every part of the project that is too large, in tiles.
int split_project(const std::string& file, const std::string& out, const std::optional<std::string>& kind,
                  std::optional<double> width, bool json) {
  Project project = load(file).project;
  DrawingCache cache;
  DividedFigure divided = divide_large(project, {}, cache);
  if (kind || width) {  // once more, with the room that such joints ask for
    for (const auto& part : divided.parts) {
      divided.project = edit_piece(std::move(divided.project), part.piece, [&](Piece& p) {
        if (kind) p.steps.back().values["joint"] = *kind;
        if (width) p.steps.back().values["width"] = *width;
      });
    }
    divided = divide_large(divided.project, {}, cache);
  }
  need(save_project(divided.project, out));
  Json list = Json::array();
  std::string text;
  bool all_fit = true;
  for (const auto& part : divided.parts) {
    all_fit = all_fit && part.fits;
    list.push_back({{"piece", part.piece},
                    {"part", part.name},
                    {"tiles", part.tiles},
                    {"seams", part.seams},
                    {"seam_mm", round4(part.seam_mm)},
                    {"visible_seam_mm", round4(part.visible_mm)},
                    {"fits", part.fits},
                    {"seamless_if_trimmed", part.seamless_trimmed}});
    text += say(
        part.fits ? "split-part" : "split-part/large",
        {{"part", part.name}, {"tiles", figure(part.tiles)}, {"seams", part.seam_mm}, {"visible", part.visible_mm}});
  }
  json ? print_json({{"parts", std::move(list)}}) : print(text.empty() ? say("split-none-large") : text);
  return all_fit ? 0 : 1;
}

Json place(Vec p) { return Json::array({round4(p.x), round4(p.y)}); }

}  // namespace

int split_drawing(Options o, bool json) {
  const auto out = o.value("-o"), size = o.value("--sheet"), over = o.value("--over");
  const auto kind = o.one_of("--seam", {"butt", "overlap", "tab", "dovetail"});
  const auto width = length_value(o, "--width"), sliver = length_value(o, "--sliver");
  const double per_inch = o.number("--per-inch", 96);
  const std::string file = o.positional("use-no-drawing");
  o.finish();
  const std::string& made = given(out, "-o OUT.svg");
  if (ends_with(file, ".dotlane")) {
    if (size || over || sliver) refuse({"use-split-project"});
    return split_project(file, made, kind, width, json);
  }
  const auto [w, h] = size_from("--sheet", given(size, "--sheet WIDTHxHEIGHT", "--sheet 292x292mm"));
  const Artwork art = drawing_in(file, per_inch);
  tiling::Task task;
  task.rooms = {{w, h}};
  if (sliver) task.least_width = *sliver;
  if (over) task.over = unite(shapes_in(drawing_in(*over, per_inch)));
  SeamStyle style;
  if (kind) style.kind = seam_kind(*kind);
  if (width) style.width = *width;
  if (style.kind != SeamKind::butt) task.allowance = style.width;
  if (task.allowance >= std::min(w, h)) refuse({"use-seam-width"});
  const std::vector<Region> parts = parts_of(nested(shapes_in(art)));
  if (parts.empty()) refuse({"use-nothing-to-split"}, file);

  std::vector<SheetPath> paths;
  Json tiles = Json::array(), seams = Json::array();
  double seam_mm = 0, visible_mm = 0;
  std::size_t slivers = 0, misfits = 0;
  for (const auto& part : parts) {
    task.part = part;
    const tiling::Split split = split_part(task);
    seam_mm += split.seam_mm, visible_mm += split.visible_mm, slivers += split.slivers();
    for (const auto& seam : split.seams)
      seams.push_back({{"from_mm", place(seam.a)}, {"to_mm", place(seam.b)}, {"length_mm", round4(seam.length())}});
    tiling::Task whole = task;
    whole.allowance = 0;
    for (const auto& shape : divide(part, split.seams, style).tiles) {
      const BoxFit fit = fit_in(whole, shape);
      const std::string id = "tile-" + std::to_string(paths.size() + 1);
      const Box lies = bounds_of(transformed(shape, Affine::rotate(-fit.turn)));
      misfits += fit.scale < 1;
      paths.push_back({0, id, Color{}, path_of(shape)});
      tiles.push_back({{"id", id},
                       {"fits", fit.scale >= 1},
                       {"turn_deg", round4(fit.turn)},
                       {"size_mm", place({lies.width(), lies.height()})},
                       {"area_mm2", round4(area_of(shape))}});
    }
  }
  need(write_file(made, write_shapes_svg(art.width_mm, art.height_mm, paths)));
  if (json) {
    print_json({{"tiles", paths.size()},
                {"seam_mm", round4(seam_mm)},
                {"visible_seam_mm", round4(visible_mm)},
                {"slivers", slivers},
                {"parts", std::move(tiles)},
                {"seams", std::move(seams)}});
  } else {
    print(say("wrote-tiles",
              {{"file", made}, {"tiles", figure(paths.size())}, {"seams", seam_mm}, {"visible", visible_mm}}) +
          (misfits > 0 ? say("larger-than-sheet", {{"parts", figure(misfits)}}) : "") +
          (slivers > 0 ? say("split-slivers", {{"parts", figure(slivers)}}) : ""));
  }
  return misfits > 0 ? 1 : 0;
}

}  // namespace dotlane::cli
