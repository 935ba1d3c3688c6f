#include "cli/measure.hpp"

#include <limits>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/place/tape.hpp"
#include "core/project/edit.hpp"
#include "core/shape/evaluate.hpp"
#include "core/text_scan.hpp"

namespace dotlane::cli {
namespace {

const DrawnPiece* piece_said(const Drawing& drawing, const std::optional<std::string>& said, const char* option) {
  if (!said) return nullptr;
  const auto id = to_integer(*said);
  const bool fits = id && *id > 0 && *id <= std::numeric_limits<int>::max();
  const DrawnPiece* piece = fits ? find_drawn(drawing, static_cast<int>(*id)) : nullptr;
  if (!piece) refuse({"use-piece", {{"option", option}, {"text", *said}}});
  return piece;
}

}  // namespace

int measure_command(Options o, bool json) {
  const auto which = o.value("--piece"), to = o.value("--to"), only = o.value("--line");
  const bool thinnest = o.flag("--thinnest");
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  DrawingCache cache;
  const Drawing drawing = evaluate(input.project, cache);
  const DrawnPiece* piece = piece_said(drawing, which, "--piece");
  if (!piece) refuse({"use-missing", {{"option", "--piece N"}}});
  const DrawnPiece* other = piece_said(drawing, to, "--to");
  const Box frame = tight_bounds(*piece);
  Json out;
  out["piece"] = piece->piece->name;
  out["frame_mm"] = {round4(frame.x0), round4(frame.y0), round4(frame.width()), round4(frame.height())};
  std::string text = say("measured", {{"piece", piece->piece->name},
                                      {"width", frame.width()},
                                      {"height", frame.height()},
                                      {"left", frame.x0},
                                      {"top", frame.y0}});
  if (other) {
    static constexpr const char* kSides[] = {"left", "right", "top", "bottom"};
    static constexpr const char* kSaid[] = {"measured-left", "measured-right", "measured-top", "measured-bottom"};
    Json sides = Json::object();
    const auto found = distances(frame, tight_bounds(*other));
    for (std::size_t i = 0; i < 4; ++i) {
      if (!found[i]) continue;
      sides[std::string(kSides[i]) + "_mm"] = round4(found[i]->mm);
      text += "  " + say(kSaid[i], {{"mm", found[i]->mm}, {"to", other->piece->name}});
    }
    out["to"] = other->piece->name;
    out["distances"] = sides;
  }
  Json lines = Json::array();
  bool any = false;
  for (std::size_t i = 0; i < piece->piece->lines.size(); ++i) {
    const Line& line = piece->piece->lines[i];
    if (only && line.id != *only) continue;
    any = true;
    const LineFigures figures = figures_of(*piece, i);
    Json entry;
    entry["line"] = line.id;
    entry["length_mm"] = round4(figures.length_mm);
    Figures said{{"line", line.id}, {"length", figures.length_mm}};
    if (figures.closed) {
      entry["area_mm2"] = round4(figures.area_mm2);
      said["area"] = figures.area_mm2;
    }
    if (thinnest) {
      if (const auto thin = thinnest_of(*piece, i)) {
        entry["thinnest_mm"] = round4(thin->width_mm);
        entry["thinnest_at_mm"] = {round4(thin->at.x), round4(thin->at.y)};
        said["thinnest"] = thin->width_mm;
      }
    }
    text += "  " + say("measured-line", said);
    lines.push_back(entry);
  }
  if (only && !any) refuse({"use-no-line", {{"line", *only}}});
  out["lines"] = lines;
  json ? print_json(out) : print(text);
  return 0;
}

}  // namespace dotlane::cli
