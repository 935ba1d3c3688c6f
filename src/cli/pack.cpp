#include "cli/pack.hpp"

#include <algorithm>
#include <chrono>
#include <cmath>
#include <set>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_writer.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/pack/settle.hpp"
#include "core/layout/photograph.hpp"
#include "core/layout/shelf.hpp"
#include "core/project/edit.hpp"
#include "core/shape/evaluate.hpp"
#include "core/text_scan.hpp"
#include "core/typed_number.hpp"
#include "render/picture_file.hpp"

namespace dotlane::cli {
namespace {

struct Wishes {
  std::optional<double> gap_mm, turn_step_deg;
  unsigned seed = 1;
  double seconds = 5;
  /// The settings with what is asked for.
  [[nodiscard]] LaySettings over(LaySettings laying) const {
    laying.gap_mm = gap_mm.value_or(laying.gap_mm);
    laying.turn_step_deg = turn_step_deg.value_or(laying.turn_step_deg);
    return laying;
  }
};

Wishes wishes(Options& o) {
  Wishes out;
  out.gap_mm = length_value(o, "--gap");
  if (const auto turns = o.value("--turns")) {
    out.turn_step_deg = *turns == "free" ? 5.0 : *turns == "none" ? 0.0 : to_number(*turns);
    if (!out.turn_step_deg || (*out.turn_step_deg != 0 && *out.turn_step_deg < 1) || *out.turn_step_deg > 180)
      refuse({"use-turns", {{"text", *turns}}});
  }
  out.seed = static_cast<unsigned>(o.integer("--seed", 1));
  out.seconds = number_within(o, "--seconds", 0, 3600).value_or(out.seconds);
  return out;
}

/// The best that is found in so many seconds, the first answer whatever it takes.
pack::Packing packed(const pack::Task& task, double seconds) {
  using Clock = std::chrono::steady_clock;
  const auto end = Clock::now() + std::chrono::duration<double>(seconds);
  pack::Packer packer(task);
  const auto over = [&] { return Clock::now() >= end; };
  while (task.items.size() > 1 && !over()) packer.improve(over);
  return pack::settled(task, packer.best());
}

Path path_of(const DrawnPiece& piece, const Part& part, std::size_t line, const Affine& map) {
  Path out;
  out.fill_rule = piece.piece->lines[line].path->fill_rule;
  for (const auto& at : part.lines) {
    if (at.piece == piece.piece->id && at.line == line)
      out.contours.push_back(piece.piece->lines[line].path->contours[at.contour]);
  }
  return transformed(out, map * piece.map * piece.piece->lines[line].at);
}

}  // namespace

int sheets(Options o, bool json) {
  const bool pack = o.flag("--pack"), offcuts = o.flag("--keep-offcuts");
  const auto out = o.value("-o");
  const auto copies = whole_value(o, "--copies");
  const Wishes wish = wishes(o);
  Input input = load(o.positional("use-no-project"));
  o.finish();
  input.project.laying = wish.over(input.project.laying);
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  Layout layout = lay_out(input.project, drawing);
  if (copies) {
    std::vector<std::size_t> all(layout.parts.size());
    for (std::size_t i = 0; i < all.size(); ++i) all[i] = i;
    input.project = set_copies(std::move(input.project), drawing, layout, all, *copies);
    layout = lay_out(input.project, drawing);
  }
  double density = 0;
  if (pack) {
    NestOptions options = nest_options(input.project);
    options.seed = wish.seed;
    Nested nested = nest_all(input.project, drawing, layout, options, wish.seconds);
    density = nested.density();
    input.project = std::move(nested.project);
    layout = lay_out(input.project, drawing);
  }
  if (offcuts) {
    for (const auto& placed : layout.sheets)
      input.project = keep_offcut(std::move(input.project), drawing, layout, placed.sheet.id);
  }
  if (out) need(save_project(input.project, *out));
  Json list = Json::array(), waiting = Json::array();
  std::string text;
  int index = 0;
  for (const auto& placed : layout.sheets) {
    const SheetUse use = use_of(input.project, drawing, layout, placed.sheet, input.project.laying.gap_mm);
    Json numbers = Json::array();
    for (const std::size_t k : use.laid) numbers.push_back(layout.parts[layout.laid[k].part].number);
    Json entry;
    entry["index"] = ++index;
    entry["sheet"] = placed.sheet.id;
    entry["load"] = placed.sheet.load;
    entry["stock"] = placed.sheet.stock;
    entry["used"] = round4(use.used);
    entry["offcut_mm"] = {round4(use.offcut.width()), round4(use.offcut.height())};
    entry["parts"] = numbers;
    list.push_back(entry);
    const Stock* stock = find_stock(input.project, placed.sheet.stock);
    text += say("sheet-used", {{"sheet", figure(index)},
                               {"stock", stock ? stock->name : placed.sheet.stock},
                               {"parts", figure(use.laid.size())},
                               {"percent", 100 * use.used},
                               {"width", use.offcut.width()},
                               {"height", use.offcut.height()}});
  }
  for (const auto& laid : layout.laid) {
    if (laid.sheet == 0) waiting.push_back(layout.parts[laid.part].number);
  }
  if (!waiting.empty()) text += say("sheets-waiting", {{"parts", figure(waiting.size())}});
  Json report{{"sheets", list}, {"waiting", waiting}};
  if (pack) report["density"] = round4(density);
  json ? print_json(report) : print(text.empty() ? say("no-sheets") : text);
  return 0;
}

int pack(Options o, bool json) {
  const auto started = std::chrono::steady_clock::now();
  const auto out = o.value("-o");
  const auto size = o.value("--sheet");
  const Wishes wish = wishes(o);
  Input input = load(o.positional("use-no-drawing"));
  o.finish();
  const std::string& file = given(out, "-o OUT.svg");
  const auto [width, height] = size_from("--sheet", given(size, "--sheet WIDTHxHEIGHT", "--sheet 292x292mm"));
  // Every outline is a part, whatever the drawing says of its lines.
  for (auto& piece : input.project.pieces) {
    piece.edit([](Piece& p) {
      for (auto& line : p.lines) line.role = Role::cut;
    });
  }
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  std::vector<Part> parts = parts_of(input.project, drawing);
  std::erase_if(parts, [](const Part& p) { return !p.has_body(); });
  if (parts.empty()) refuse({"use-nothing-to-pack"});
  pack::Task task;
  for (const auto& part : parts) {
    task.items.push_back(task.shapes.size());
    task.shapes.push_back(part.body());
  }
  task.stands.push_back({region_of(Box{0, 0, width, height}), 0, {}});
  const LaySettings laying = wish.over({});
  task.gap = laying.gap_mm, task.turns = turns_in_steps(laying.turn_step_deg), task.seed = wish.seed;
  if (task.turns.size() > 1) pack::allow_own_turns(task);
  const pack::Packing packing = packed(task, wish.seconds);

  std::vector<SheetPath> paths;
  Json list = Json::array();
  std::set<std::string> ids;
  const auto own_id = [&](const std::string& id) {
    std::string out_id = id;
    for (int k = 2; !ids.insert(out_id).second; ++k) out_id = id + "-" + std::to_string(k);
    return out_id;
  };
  auto laid = packing.parts;
  std::sort(laid.begin(), laid.end(), [](const pack::Lies& a, const pack::Lies& b) { return a.item < b.item; });
  for (const auto& lies : laid) {
    const Part& part = parts[lies.item];
    std::string name;
    std::set<std::pair<int, std::size_t>> written;
    for (const auto& at : part.lines) {
      if (!written.insert({at.piece, at.line}).second) continue;
      const DrawnPiece& piece = *find_drawn(drawing, at.piece);
      const Line& line = piece.piece->lines[at.line];
      const bool outline = at.piece == part.first.piece && at.line == part.first.line;
      const std::string id = own_id(line.id);
      if (outline) name = id;
      paths.push_back({lies.sheet, id, line.color, path_of(piece, part, at.line, lies.map())});
    }
    list.push_back({{"id", name},
                    {"sheet", lies.sheet + 1},
                    {"turn_deg", round4(lies.turn)},
                    {"dx_mm", round4(lies.move.x)},
                    {"dy_mm", round4(lies.move.y)}});
  }
  need(write_file(file, write_sheets_svg(width, height, packing.sheets.size(), paths)));
  Json waiting = Json::array();
  for (const std::size_t item : packing.waiting) waiting.push_back(parts[item].key.line);
  const double seconds = std::chrono::duration<double>(std::chrono::steady_clock::now() - started).count();
  if (json) {
    print_json(Json{{"sheets", packing.sheets.size()},
                    {"density", round4(packing.density())},
                    {"seconds", round4(seconds)},
                    {"parts", list},
                    {"waiting", waiting}});
  } else {
    print(say("wrote-sheets", {{"file", file},
                               {"parts", figure(packing.parts.size())},
                               {"sheets", figure(packing.sheets.size())},
                               {"density", packing.density()}}) +
          (waiting.empty() ? "" : say("larger-than-sheet", {{"parts", figure(waiting.size())}})));
  }
  return packing.waiting.empty() ? 0 : 1;
}

int scraps(Options o, bool json) {
  const auto corners_text = o.value("--corners"), size = o.value("--mat"), stock = o.value("--stock"),
             out = o.value("-o"), project = o.value("--project");
  const std::string file = o.positional("use-no-photograph");
  o.finish();
  given(corners_text, "--corners \"X,Y X,Y X,Y X,Y\"");
  std::vector<double> numbers;
  std::string word;
  for (const char c : *corners_text + " ") {
    if (c != ' ' && c != ',') {
      word += c;
    } else if (!word.empty()) {
      const auto number = to_number(word);
      if (!number) refuse({"use-corners", {{"text", word}}});
      numbers.push_back(*number);
      word.clear();
    }
  }
  if (numbers.size() != 8) refuse({"use-corners", {{"text", *corners_text}}});
  Quad quad;
  for (std::size_t i = 0; i < 4; ++i) quad[i] = {numbers[2 * i], numbers[2 * i + 1]};
  const auto [width, height] = size_from("--mat", size.value_or("304.8x304.8mm"));
  const auto picture = read_picture(file);
  need(picture);
  constexpr double kPxPerMm = 4;
  const Picture mat = rectified(picture->picture, quad, width, height, kPxPerMm);
  if (mat.empty()) refuse({"use-corners-around"});
  const auto found = things_on(mat, kPxPerMm);
  Json list = Json::array();
  std::string text;
  for (const auto& region : found) {
    const ShelfItem item = scrap_of(region, stock.value_or(""), file);
    const Box box = bounds_of(region);
    list.push_back({{"at_mm", {round4(box.x0), round4(box.y0)}},
                    {"size_mm", {round4(item.width_mm), round4(item.height_mm)}},
                    {"area_mm2", round4(area_of(region))},
                    {"outline", text_of(item.outline)}});
    text += say("scrap-found", {{"width", item.width_mm}, {"height", item.height_mm}, {"area", area_of(region) / 100}});
  }
  if (project || out) {
    if (!project || !out || !stock) refuse({"use-keep-scraps"});
    Input input = load(*project);
    if (!find_stock(input.project, *stock)) refuse({"use-no-stock", {{"stock", *stock}}});
    for (const auto& region : found) add_to_shelf(input.project, scrap_of(region, *stock, file));
    need(save_project(input.project, *out));
  }
  json ? print_json(Json{{"scraps", list}}) : print(text.empty() ? say("no-scraps") : text);
  return 0;
}

}  // namespace dotlane::cli
