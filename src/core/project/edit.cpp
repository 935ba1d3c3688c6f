#include "core/project/edit.hpp"

#include <algorithm>
#include <filesystem>
#include <map>
#include <optional>
#include <set>

#include "core/geometry/measure.hpp"
#include "core/project/dependence.hpp"
#include "core/project/ids.hpp"
#include "core/project/presets.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// What people say of a line, wherever it is kept: on the line, or on a made line's dress.
struct LineDress {
  std::function<void(Role)> set_role;
  bool& role_guessed;
  std::string& tool;
  int& repeats;
  bool& stroke_by_stroke;
  double& raised_mm;
  Color ink;
};

/// Runs `change(project, piece, said)` for each line named; untouched pieces stay shared. A line the piece does not
/// hold itself is one that its recipe makes: it gets a dress.
template <class Change>
Project edit_lines(Project project, const std::vector<LineRef>& refs, Change&& change) {
  std::map<int, std::set<std::string>> wanted;
  for (const auto& ref : refs) wanted[ref.piece].insert(ref.line);
  for (std::size_t i = 0; i < project.pieces.size(); ++i) {
    const auto found = wanted.find(project.pieces[i]->id);
    if (found == wanted.end()) continue;
    Piece piece = *project.pieces[i];
    auto rest = found->second;
    for (auto& line : piece.lines) {
      if (rest.erase(line.id) == 0) continue;
      LineDress said{[&](Role role) { line.role = role; },
                     line.role_guessed,
                     line.tool,
                     line.repeats,
                     line.stroke_by_stroke,
                     line.raised_mm,
                     line.color};
      change(project, piece, said);
    }
    if (!piece.plain()) {
      for (const auto& id : rest) {
        Dress& dress = piece.dress[id];
        Color ink{34, 34, 34};
        for (const auto& line : piece.lines) {
          if (id.starts_with(line.id + "~")) ink = line.color;
        }
        LineDress said{[&](Role role) { dress.role = role; },
                       dress.role_guessed,
                       dress.tool,
                       dress.repeats,
                       dress.stroke_by_stroke,
                       dress.raised_mm,
                       ink};
        change(project, piece, said);
      }
    }
    project.pieces[i] = std::move(piece);
  }
  return project;
}

}  // namespace

std::vector<Role> guess_roles(const std::vector<ArtLine>& lines) {
  std::vector<Role> out;
  std::vector<Box> cut_outlines;
  auto closed = [](const ArtLine& l) {
    return std::any_of(l.path.contours.begin(), l.path.contours.end(), [](const Contour& c) { return c.closed; });
  };
  for (const auto& line : lines) {
    if (!line.dashed && closed(line)) cut_outlines.push_back(bounds_of(line.path));
  }
  for (const auto& line : lines) {
    if (!line.stroke && !line.fill) {
      out.push_back(Role::guide);
    } else if (line.dashed) {
      const Box box = bounds_of(line.path);
      const bool inside = std::any_of(cut_outlines.begin(), cut_outlines.end(),
                                      [&](const Box& outline) { return outline.grown(0.01).contains(box); });
      out.push_back(inside ? Role::score : Role::draw);
    } else {
      out.push_back(closed(line) ? Role::cut : Role::draw);
    }
  }
  return out;
}

std::string fresh_tool_id(const Project& project, const std::string& name) {
  std::string slug;
  for (const char c : lower_case(name)) {
    if ((c >= 'a' && c <= 'z') || (c >= '0' && c <= '9')) {
      slug += c;
    } else if (!slug.empty() && slug.back() != '-') {
      slug += '-';
    }
  }
  while (!slug.empty() && slug.back() == '-') slug.pop_back();
  if (slug.empty()) slug = "tool";
  std::string id = slug;
  for (int n = 2; find_tool(project, id); ++n) id = slug + "-" + std::to_string(n);
  return id;
}

std::string choose_tool(Project& project, Role role, Color ink, const std::string& stock) {
  if (!runs(role)) return {};
  const Stock* material = find_stock(project, stock);
  const double force = material ? setting_for(*material, role).force_gf : 0;
  const Tool *any = nullptr, *thick = nullptr;
  for (const auto& tool : project.tools) {
    if (!serves(tool, role)) continue;
    if (!any) any = &tool;
    if (role == Role::draw && tool.ink == ink) return tool.id;
    if (role == Role::draw || (material && material->thickness_mm > tool.thickest_mm)) continue;
    if (!material || (tool.min_force_gf <= force && force <= tool.max_force_gf)) return tool.id;
    if (!thick) thick = &tool;
  }
  if (thick) return thick->id;
  if (role == Role::draw) {
    Tool pen = pen_of(ink);
    pen.id = fresh_tool_id(project, pen.id);
    // Two near shades may have one name: the later one is numbered.
    const std::string name = pen.name;
    auto taken = [&] {
      return std::any_of(project.tools.begin(), project.tools.end(), [&](const Tool& t) { return t.name == pen.name; });
    };
    for (int n = 2; taken(); ++n) pen.name = name + " " + std::to_string(n);
    project.tools.push_back(pen);
    return pen.id;
  }
  if (any) return any->id;
  // Racks of older projects lack kinds of tool that came later.
  for (Tool& tool : preset_tools()) {
    if (!serves(tool, role)) continue;
    tool.id = fresh_tool_id(project, tool.id);
    project.tools.push_back(tool);
    return project.tools.back().id;
  }
  return {};
}

void match_sheets(Project& project) {
  std::erase_if(project.sheets, [&](const Sheet& sheet) {
    return std::none_of(project.pieces.begin(), project.pieces.end(),
                        [&](const Shared<Piece>& p) { return p->stock == sheet.stock; });
  });
  add_missing_sheets(project);
}

void add_missing_sheets(Project& project) {
  for (const auto& piece : project.pieces) {
    if (!first_sheet(project, piece->stock)) add_sheet(project, piece->stock);
  }
}

int add_sheet(Project& project, const std::string& stock) {
  Sheet sheet;
  for (const auto& other : project.sheets) {
    sheet.id = std::max(sheet.id, other.id);
    sheet.load = std::max(sheet.load, other.load + 1);
  }
  ++sheet.id;
  sheet.stock = stock;
  sheet.area = project.machine.mat_area();
  sheet.window = {sheet.area.x0, sheet.area.y0};
  project.sheets.push_back(sheet);
  return sheet.id;
}

Project add_artwork(Project project, const Artwork& art, const std::string& file, int* id) {
  Piece piece;
  piece.id = next_piece_id(project);
  if (id) *id = piece.id;
  const std::filesystem::path path(file);
  piece.name = path.stem().string();
  std::replace_if(
      piece.name.begin(), piece.name.end(), [](char c) { return c == '-' || c == '_'; }, ' ');
  if (!piece.name.empty() && piece.name[0] >= 'a' && piece.name[0] <= 'z') {
    piece.name[0] = static_cast<char>(piece.name[0] - 'a' + 'A');
  }
  piece.stock = project.sheets.empty() ? "cover-65" : project.sheets.front().stock;
  if (!find_stock(project, piece.stock)) piece.stock = project.stocks.empty() ? "" : project.stocks.front().id;
  piece.source.file = path.filename().string();
  piece.source.unit_source = art.unit_source;
  piece.source.per_inch = art.per_inch;
  piece.source.notes = art.notes;
  for (auto& note : piece.source.notes) {
    for (auto& ref : note.lines) ref.piece = piece.id;
  }
  const auto roles = guess_roles(art.lines);
  for (std::size_t i = 0; i < art.lines.size(); ++i) {
    const auto& from = art.lines[i];
    Line line;
    line.id = from.id;
    line.layer = from.layer;
    line.path = from.path;
    line.color = from.stroke ? *from.stroke : from.fill.value_or(Color{128, 128, 128});
    line.filled = from.fill.has_value();
    line.dashed = from.dashed;
    line.role = roles[i];
    line.role_guessed = line.role != Role::guide;
    line.tool = choose_tool(project, line.role, line.color, piece.stock);
    piece.lines.push_back(std::move(line));
  }
  project.pieces.insert(project.pieces.begin(), Shared<Piece>(std::move(piece)));
  match_sheets(project);
  return project;
}

Project assign_role(Project project, const std::vector<LineRef>& lines, Role role, const std::string& tool) {
  return edit_lines(std::move(project), lines, [&](Project& p, const Piece& piece, LineDress& line) {
    line.set_role(role);
    line.role_guessed = false;
    line.tool = tool.empty() ? choose_tool(p, role, line.ink, piece.stock) : tool;
  });
}

Project confirm_roles(Project project, const std::vector<LineRef>& lines) {
  return edit_lines(std::move(project), lines,
                    [](Project&, const Piece&, LineDress& line) { line.role_guessed = false; });
}

Project set_repeats(Project project, const std::vector<LineRef>& lines, int repeats) {
  return edit_lines(std::move(project), lines,
                    [&](Project&, const Piece&, LineDress& line) { line.repeats = std::clamp(repeats, 0, 99); });
}

Project set_stroke_by_stroke(Project project, const std::vector<LineRef>& lines, bool on) {
  return edit_lines(std::move(project), lines,
                    [&](Project&, const Piece&, LineDress& line) { line.stroke_by_stroke = on; });
}

Project set_raised(Project project, const std::vector<LineRef>& lines, double height_mm) {
  return edit_lines(std::move(project), lines, [&](Project&, const Piece&, LineDress& line) {
    line.raised_mm = std::clamp(height_mm, 0.0, 100.0);
  });
}

Project set_setting(Project project, int sheet, Role role, const Setting& setting) {
  if (const Sheet* on = find_sheet(project, sheet)) {
    for (auto& stock : project.stocks) {
      if (stock.id == on->stock) stock.settings[role] = setting;
    }
  }
  return project;
}

bool wants_tool(const Project& project, const std::string& tool) {
  return project.laying.number_tool == tool ||
         std::any_of(project.pieces.begin(), project.pieces.end(), [&](const Shared<Piece>& piece) {
           return std::any_of(piece->lines.begin(), piece->lines.end(),
                              [&](const Line& l) { return l.tool == tool; }) ||
                  std::any_of(piece->dress.begin(), piece->dress.end(),
                              [&](const auto& d) { return d.second.tool == tool; });
         });
}

Project remove_tool(Project project, const std::string& tool) {
  if (!wants_tool(project, tool)) std::erase_if(project.tools, [&](const Tool& t) { return t.id == tool; });
  return project;
}

Box tight_bounds(const DrawnPiece& piece) {
  Box box;
  for (const auto& line : piece.piece->lines) box.add(bounds_of(*line.path, piece.map * line.at));
  return box;
}

Project place_pieces(Project project, const std::vector<int>& pieces, const Affine& map) {
  const std::set<int> wanted(pieces.begin(), pieces.end());
  std::set<int> following;  // made of others that go along: these take it with them
  for (const auto& piece : project.pieces) {
    if (!wanted.contains(piece->id) || piece->source.kind != "pieces") continue;
    const auto inputs = depends_on(project, piece->id);
    if (std::any_of(inputs.begin(), inputs.end(), [&](int input) { return wanted.contains(input); }))
      following.insert(piece->id);
  }
  for (auto& piece : project.pieces) {
    if (!wanted.contains(piece->id)) continue;
    piece.edit([&](Piece& p) {
      p.placement = following.contains(p.id) ? map * p.placement * map.inverse() : map * p.placement;
    });
  }
  return project;
}

Project move_pieces(Project project, const std::vector<int>& pieces, Vec by) {
  return place_pieces(std::move(project), pieces, Affine::move(by.x, by.y));
}

Box frame_around(const Drawing& drawing, const std::vector<int>& pieces) {
  Box box;
  for (const auto& piece : drawing.pieces) {
    if (contains(pieces, piece->piece->id)) box.add(tight_bounds(*piece));
  }
  return box;
}

namespace {

Affine about(Vec middle, const Affine& map) {
  return Affine::move(middle.x, middle.y) * map * Affine::move(-middle.x, -middle.y);
}

}  // namespace

Project turn_pieces(Project project, const Drawing& drawing, const std::vector<int>& pieces, double degrees) {
  const Box frame = frame_around(drawing, pieces);
  if (frame.empty()) return project;
  return place_pieces(std::move(project), pieces, about(frame.centre(), Affine::rotate(-degrees)));
}

Project mirror_pieces(Project project, const Drawing& drawing, const std::vector<int>& pieces, bool across) {
  const Box frame = frame_around(drawing, pieces);
  if (frame.empty()) return project;
  return place_pieces(std::move(project), pieces,
                      about(frame.centre(), across ? Affine::scale(-1, 1) : Affine::scale(1, -1)));
}

Project bring_onto_mat(Project project, const Drawing& drawing, const std::vector<int>& pieces) {
  const Box box = frame_around(drawing, pieces);
  if (box.empty()) return project;
  Box usable = project.machine.usable_area();
  const Piece* first = find_piece(project, pieces.front());
  if (const Sheet* sheet = first ? first_sheet(project, first->stock) : nullptr) {  // as its window shows it
    const Vec by = sheet->window - Vec{sheet->area.x0, sheet->area.y0};
    usable = {usable.x0 + by.x, usable.y0 + by.y, usable.x1 + by.x, usable.y1 + by.y};
  }
  auto shift = [](double low, double high, double from, double to) {
    if (high - low > to - from) return (from + to) / 2 - (low + high) / 2;
    return low < from ? from - low : high > to ? to - high : 0.0;
  };
  return move_pieces(std::move(project), pieces,
                     {shift(box.x0, box.x1, usable.x0, usable.x1), shift(box.y0, box.y1, usable.y0, usable.y1)});
}

Project set_aspect_lock(Project project, int piece, bool locked) {
  return edit_piece(std::move(project), piece, [&](Piece& p) { p.aspect_locked = locked; });
}

Project set_each(Project project, const std::vector<int>& pieces, bool Piece::*what, bool on) {
  for (const int id : pieces) {
    const Piece* piece = find_piece(project, id);
    if (piece && piece->*what != on) project = edit_piece(std::move(project), id, [&](Piece& p) { p.*what = on; });
  }
  return project;
}

Project rename_piece(Project project, int piece, const std::string& name) {
  return edit_piece(std::move(project), piece, [&](Piece& p) { p.name = name; });
}

Project set_stock(Project project, int piece, const std::string& stock) {
  if (!find_stock(project, stock)) return project;
  project = edit_piece(std::move(project), piece, [&](Piece& p) { p.stock = stock; });
  match_sheets(project);
  return project;
}

Project shift_layer(Project project, int id, int by) {
  auto& pieces = project.pieces;
  const auto at = std::find_if(pieces.begin(), pieces.end(), [&](const Shared<Piece>& p) { return p->id == id; });
  if (at == pieces.end()) return project;
  const auto from = at - pieces.begin();
  const auto to = std::clamp<std::ptrdiff_t>(from + by, 0, static_cast<std::ptrdiff_t>(pieces.size()) - 1);
  auto moved = *at;
  pieces.erase(at);
  pieces.insert(pieces.begin() + to, std::move(moved));
  return project;
}

Project duplicate_piece(Project project, int id, int* copy_id, Vec by) {
  const auto at =
      std::find_if(project.pieces.begin(), project.pieces.end(), [&](const Shared<Piece>& p) { return p->id == id; });
  if (at == project.pieces.end()) return project;
  Piece copy = **at;
  copy.id = next_piece_id(project);
  copy.placement = Affine::move(by.x, by.y) * copy.placement;
  copy.holds.clear(), copy.fit.reset();  // it would lie on the first one again
  for (auto& note : copy.source.notes) {
    for (auto& ref : note.lines) ref.piece = copy.id;
  }
  if (copy_id) *copy_id = copy.id;
  project.pieces.insert(at, Shared<Piece>(std::move(copy)));
  return project;
}

Project remove_pieces(Project project, const std::vector<int>& ids) {
  std::erase_if(project.pieces, [&](const Shared<Piece>& p) { return contains(ids, p->id); });
  match_sheets(project);
  return project;
}

Project remove_lines(Project project, const std::vector<LineRef>& refs) {
  std::map<int, std::set<std::string>> gone;
  for (const auto& ref : refs) gone[ref.piece].insert(ref.line);
  for (auto& piece : project.pieces) {
    const auto found = gone.find(piece->id);
    if (found == gone.end()) continue;
    piece.edit([&](Piece& p) {
      std::set<std::string> made = found->second;
      std::erase_if(p.lines, [&](const Line& line) { return made.erase(line.id) > 0; });
      if (p.plain() || made.empty()) return;
      std::string names;
      for (const auto& id : made) names += (names.empty() ? "" : ", ") + id;
      Step step;
      step.id = next_step_id(p);
      step.kind = "leave-out";
      step.values["of"] = names;
      p.steps.push_back(std::move(step));
    });
  }
  std::erase_if(project.pieces, [](const Shared<Piece>& p) { return p->lines.empty() && p->source.kind.empty(); });
  match_sheets(project);
  return project;
}

std::vector<int> split_piece(Project& project, int id, const std::function<std::string(const Line&)>& key) {
  const auto at =
      std::find_if(project.pieces.begin(), project.pieces.end(), [&](const Shared<Piece>& p) { return p->id == id; });
  if (at == project.pieces.end()) return {};
  const Piece whole = **at;
  std::vector<std::string> keys;
  for (const auto& line : whole.lines) {
    if (std::find(keys.begin(), keys.end(), key(line)) == keys.end()) keys.push_back(key(line));
  }
  if (keys.size() < 2) return {whole.id};
  const int first_new = next_piece_id(project);
  std::vector<int> ids;
  std::vector<Shared<Piece>> parts;
  for (std::size_t i = 0; i < keys.size(); ++i) {
    Piece part = whole;
    part.id = i == 0 ? whole.id : first_new + static_cast<int>(i) - 1;
    ids.push_back(part.id);
    if (!keys[i].empty()) part.name = keys[i];
    if (i > 0) part.source.notes.clear();
    part.holds.clear(), part.fit.reset();  // its frame is another
    std::erase_if(part.lines, [&](const Line& line) { return key(line) != keys[i]; });
    // What a file paints last lies on top.
    parts.insert(parts.begin(), Shared<Piece>(std::move(part)));
  }
  const auto place = project.pieces.erase(at);
  project.pieces.insert(place, parts.begin(), parts.end());
  return ids;
}

Project split_by_layer(Project project, int id) {
  split_piece(project, id, [](const Line& line) { return line.layer; });
  return project;
}

std::vector<double> likely_per_inch(const Finding& size_assumed) {
  if (size_assumed.form == "units") return {25.4, 2.54, 1};
  return {96, 90, 72};
}

std::string_view unit_of(double per_inch) { return per_inch > 20 ? "mm" : per_inch > 2 ? "cm" : "in"; }

Project settle_size(Project project, int id, double per_inch) {
  if (!(per_inch > 0)) return project;
  return edit_piece(std::move(project), id, [&](Piece& p) {
    const double s = p.source.per_inch / per_inch;
    p.placement = p.placement * Affine::scale(s, s);
    p.source.per_inch = per_inch;
    std::erase_if(p.source.notes, [](const Finding& note) { return note.code == "size-assumed"; });
  });
}

Project close_ends(Project project, const std::vector<LineRef>& lines, double gap_mm) {
  std::set<LineRef> wanted(lines.begin(), lines.end());
  auto close = [&](const Piece& piece, Line& line) {
    line.path.edit([&](Path& path) {
      for (auto& contour : path.contours) {
        if (contour.closed || contour.segments.empty()) continue;
        const Vec a = piece.placement(contour.start), b = piece.placement(contour.segments.back().end);
        if (distance(a, b) > gap_mm) continue;
        contour.closed = true;
      }
      path = with_meeting_ends_closed(std::move(path));
    });
  };
  for (auto& piece : project.pieces) {
    const bool touched = std::any_of(piece->lines.begin(), piece->lines.end(), [&](const Line& line) {
      return wanted.contains({piece->id, line.id});
    });
    if (!touched) continue;
    piece.edit([&](Piece& p) {
      for (auto& line : p.lines) {
        if (wanted.contains({p.id, line.id})) close(p, line);
      }
    });
  }
  return project;
}

Project set_helper(Project project, int piece, bool helper) {
  return edit_piece(std::move(project), piece, [&](Piece& p) { p.helper = helper; });
}

}  // namespace dotlane
