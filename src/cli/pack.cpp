#include "cli/pack.hpp"

#include <chrono>
#include <cmath>
#include <set>

#include "cli/input.hpp"
#include "core/format/files.hpp"
#include "core/format/svg_writer.hpp"
#include "core/layout/nest.hpp"
#include "core/layout/pack/settle.hpp"
#include "core/project/edit.hpp"
#include "core/shape/evaluate.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {
namespace {

double round4(double v) { return std::round(v * 1e4) / 1e4; }

double length_value(Options& o, const std::string& name, double missing) {
  const auto text = o.value(name);
  if (!text) return missing;
  const auto mm = length_mm_from(*text);
  if (!mm || *mm < 0 || *mm > 1000) refuse(name + " wants a length such as 2mm, not \"" + *text + "\"");
  return *mm;
}

struct Wishes {
  NestOptions nest;
  double seconds = 5;
};

Wishes wishes(Options& o) {
  Wishes out;
  out.nest.gap_mm = length_value(o, "--gap", 2);
  const std::string turns = o.value("--turns").value_or("15");
  if (turns == "free") {
    out.nest.turns = turns_in_steps(5);
  } else if (turns == "none") {
    out.nest.turns = {0};
  } else {
    const auto step = to_number(turns);
    if (!step || *step < 1 || *step > 180)
      refuse("--turns wants free, none or a step of 1 to 180 degrees, not \"" + turns + "\"");
    out.nest.turns = turns_in_steps(*step);
  }
  out.nest.seed = static_cast<unsigned>(o.integer("--seed", 1));
  if (const auto text = o.value("--seconds")) {
    const auto seconds = to_number(*text);
    if (!seconds || *seconds < 0 || *seconds > 3600)
      refuse("--seconds wants a number from 0 to 3600, not \"" + *text + "\"");
    out.seconds = *seconds;
  }
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
  return transformed(out, map * piece.map);
}

}  // namespace

int sheets(Options o, bool json) {
  const bool pack = o.flag("--pack");
  const auto out = o.value("-o");
  const Wishes wish = wishes(o);
  Input input = load(o.positional("the project"));
  o.finish();
  DrawingCache cache;
  Drawing drawing = evaluate(input.project, cache);
  Layout layout = lay_out(input.project, drawing);
  double density = 0;
  if (pack) {
    Nested nested = nest_all(input.project, drawing, layout, wish.nest, wish.seconds);
    density = nested.density();
    input.project = std::move(nested.project);
    layout = lay_out(input.project, drawing);
  }
  if (out) need(save_project(input.project, *out));
  Json list = Json::array(), waiting = Json::array();
  std::string text;
  int index = 0;
  for (const auto& placed : layout.sheets) {
    const SheetUse use = use_of(input.project, drawing, layout, placed.sheet, wish.nest.gap_mm);
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
    text += "Sheet " + std::to_string(index) + ", " + (stock ? stock->name : placed.sheet.stock) + ": " +
            std::to_string(use.laid.size()) + (use.laid.size() == 1 ? " part, " : " parts, ") +
            rounded_text(100 * use.used, 0) + " % used, offcut " + rounded_text(use.offcut.width(), 0) + " x " +
            rounded_text(use.offcut.height(), 0) + " mm\n";
  }
  for (const auto& laid : layout.laid) {
    if (laid.sheet == 0) waiting.push_back(layout.parts[laid.part].number);
  }
  if (!waiting.empty()) text += std::to_string(waiting.size()) + " waiting for room\n";
  Json report{{"sheets", list}, {"waiting", waiting}};
  if (pack) report["density"] = round4(density);
  json ? print_json(report) : print(text.empty() ? "No sheet.\n" : text);
  return 0;
}

int pack(Options o, bool json) {
  const auto started = std::chrono::steady_clock::now();
  const auto out = o.value("-o");
  const auto size = o.value("--sheet");
  const Wishes wish = wishes(o);
  Input input = load(o.positional("the drawing"));
  o.finish();
  if (!out) refuse("-o OUT.svg is missing");
  if (!size) refuse("--sheet WIDTHxHEIGHT is missing, for instance --sheet 292x292mm");
  const auto x = size->find('x');
  std::string unit = size->substr(std::min(size->size(), size->find_first_not_of("0123456789.x ")));
  const auto width = x == std::string::npos ? std::nullopt : length_mm_from(size->substr(0, x) + unit);
  const auto height = x == std::string::npos ? std::nullopt : length_mm_from(size->substr(x + 1));
  if (!width || !height || *width < 1 || *height < 1 || *width > 10'000 || *height > 10'000)
    refuse("--sheet wants a width and a height such as 292x292mm, not \"" + *size + "\"");
  // Every outline is a part, whatever the drawing says of its lines.
  for (auto& piece : input.project.pieces) {
    piece.edit([](Piece& p) {
      for (auto& line : p.lines) line.role = Role::cut;
    });
  }
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  std::vector<Part> parts = parts_of(input.project, drawing);
  std::erase_if(parts, [](const Part& p) { return p.body.empty(); });
  if (parts.empty()) refuse("there is no closed outline to pack");
  pack::Task task;
  for (const auto& part : parts) {
    task.items.push_back(task.shapes.size());
    task.shapes.push_back(part.body);
  }
  task.stands.push_back({Region{{{{0, 0}, {*width, 0}, {*width, *height}, {0, *height}}}}, 0, {}});
  task.gap = wish.nest.gap_mm, task.turns = wish.nest.turns, task.seed = wish.nest.seed;
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
  need(write_file(*out, write_sheets_svg(*width, *height, packing.sheets.size(), paths)));
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
    print("Wrote " + *out + ": " + std::to_string(packing.parts.size()) + " parts on " +
          std::to_string(packing.sheets.size()) + (packing.sheets.size() == 1 ? " sheet" : " sheets") + ", density " +
          rounded_text(packing.density(), 3) + "\n" +
          (waiting.empty() ? "" : std::to_string(waiting.size()) + " larger than the sheet\n"));
  }
  return packing.waiting.empty() ? 0 : 1;
}

}  // namespace dotlane::cli
