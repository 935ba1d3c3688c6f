#include "cli/split.hpp"

#include "cli/input.hpp"
#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_writer.hpp"
#include "core/layout/split/large_parts.hpp"
#include "core/project/edit.hpp"
#include "core/shape/line_set.hpp"
#include "core/text_scan.hpp"

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
  if (word == "butt") return SeamKind::butt;
  if (word == "overlap") return SeamKind::overlap;
  if (word == "tab") return SeamKind::tab;
  if (word != "dovetail") refuse("--seam wants butt, overlap, tab or dovetail, not \"" + word + "\"");
  return SeamKind::dovetail;
}

/// Every part of the project that is too large, in tiles.
int split_project(const std::string& file, const std::string& out, const std::optional<std::string>& kind,
                  std::optional<double> width, bool json) {
  Project project = load(file).project;
  DrawingCache cache;
  DividedFigure divided = divide_large(project, {}, cache);
  if (kind || width) {  // once more, with the room that such joints ask for
    if (kind) seam_kind(*kind);
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
    text += part.name + ": " + std::to_string(part.tiles) + " tiles, seams of " + rounded_text(part.seam_mm, 1) +
            " mm, " + rounded_text(part.visible_mm, 1) + " mm of them in sight" +
            (part.fits ? "\n" : "; still larger than its sheet\n");
  }
  json ? print_json({{"parts", std::move(list)}}) : print(text.empty() ? "Every part fits a sheet.\n" : text);
  return all_fit ? 0 : 1;
}

Json place(Vec p) { return Json::array({round4(p.x), round4(p.y)}); }

}  // namespace

int split_drawing(Options o, bool json) {
  const auto out = o.value("-o"), size = o.value("--sheet"), over = o.value("--over"), kind = o.value("--seam");
  const auto width = length_value(o, "--width"), sliver = length_value(o, "--sliver");
  const double per_inch = o.number("--per-inch", 96);
  const std::string file = o.positional("the drawing");
  o.finish();
  if (!out) refuse("-o OUT.svg is missing");
  if (ends_with(file, ".dotlane")) {
    if (size || over || sliver)
      refuse("a project knows its sheets and layers: --sheet, --over and --sliver are for drawings");
    return split_project(file, *out, kind, width, json);
  }
  if (!size) refuse("--sheet WIDTHxHEIGHT is missing, for instance --sheet 292x292mm");
  const auto [w, h] = size_from("--sheet", *size);
  const Artwork art = drawing_in(file, per_inch);
  tiling::Task task;
  task.rooms = {{w, h}};
  if (sliver) task.least_width = *sliver;
  if (over) task.over = unite(shapes_in(drawing_in(*over, per_inch)));
  SeamStyle style;
  if (kind) style.kind = seam_kind(*kind);
  if (width) style.width = *width;
  if (style.kind != SeamKind::butt) task.allowance = style.width;
  if (task.allowance >= std::min(w, h)) refuse("--width leaves nothing of the sheet");
  const std::vector<Region> parts = parts_of(nested(shapes_in(art)));
  if (parts.empty()) refuse(file + ": there is no closed outline to split");

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
  need(write_file(*out, write_shapes_svg(art.width_mm, art.height_mm, paths)));
  if (json) {
    print_json({{"tiles", paths.size()},
                {"seam_mm", round4(seam_mm)},
                {"visible_seam_mm", round4(visible_mm)},
                {"slivers", slivers},
                {"parts", std::move(tiles)},
                {"seams", std::move(seams)}});
  } else {
    print("Wrote " + *out + ": " + std::to_string(paths.size()) + (paths.size() == 1 ? " tile" : " tiles") +
          ", seams of " + rounded_text(seam_mm, 1) + " mm, " + rounded_text(visible_mm, 1) + " mm of them in sight.\n" +
          (misfits > 0 ? std::to_string(misfits) + " larger than the sheet.\n" : "") +
          (slivers > 0 ? std::to_string(slivers) + " narrower than a sliver.\n" : ""));
  }
  return misfits > 0 ? 1 : 0;
}

}  // namespace dotlane::cli
