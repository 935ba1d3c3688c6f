#include "core/shape/recipe_edit.hpp"

#include <algorithm>
#include <filesystem>

#include "core/geometry/measure.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/lettering.hpp"
#include "core/shape/line_set.hpp"
#include "core/shape/source.hpp"

namespace dotlane {
namespace {

Result<void> accept_all(const KindSpec& spec, const Values& values) {
  for (const auto& [key, value] : values) {
    const ValueSpec* v = spec.find(key);
    if (!v) return fail(ErrorKind::bad_request, {"kind-takes-no", {{"kind", spec.kind}, {"key", key}}});
    if (auto ok = accepts(*v, value); !ok) return ok;
  }
  return {};
}

/// Tools for made lines nobody has spoken of yet; pens are added to the rack where there is none of the colour.
void dress_new(Project& project, Piece& piece, const std::vector<Line>& made) {
  for (const auto& line : made) {
    if (piece.dress.contains(line.id)) continue;
    piece.dress[line.id] = {line.role, false, choose_tool(project, line.role, line.color, piece.stock), 0};
  }
}

std::vector<Line> made_by(const Source& source) {
  Sayings trouble;
  return source_lines(source, trouble);
}

/// The source's values with one changed. Lettering keeps what belongs together: single letters stay with theirs when
/// the words change, and spacing follows the size.
Values with_value(const Source& source, const std::string& key, const Value& value) {
  if (source.kind == "lettering") {
    const auto* text = std::get_if<std::string>(&value);
    if (key == "text" && text) return with_text(source.values, *text);
    const auto* size = std::get_if<double>(&value);
    const Reading take(*find_kind(shape_kinds(), "lettering"), source.values);
    if (key == "size" && size) return scaled_lettering(source.values, *size / take.number("size"));
  }
  Values out = source.values;
  out[key] = value;
  return out;
}

Project put_on_top(Project project, Piece piece, int* id) {
  piece.id = next_piece_id(project);
  if (id) *id = piece.id;
  piece.stock = project.sheets.empty() ? "cover-65" : project.sheets.front().stock;
  if (!find_stock(project, piece.stock)) piece.stock = project.stocks.empty() ? "" : project.stocks.front().id;
  const auto lines = made_by(piece.source);
  const Box box = bounds_of(lines);
  if (!box.empty()) {
    const Vec by = project.machine.usable_area().centre() - box.centre();
    piece.placement = Affine::move(by.x, by.y);
  }
  dress_new(project, piece, lines);
  project.pieces.insert(project.pieces.begin(), Shared<Piece>(std::move(piece)));
  match_sheets(project);
  return project;
}

/// The project, unless the piece depends on itself in it.
Result<Project> unless_circular(Project project, int id) {
  const auto all = depends_on(project, id);
  if (std::find(all.begin(), all.end(), id) == all.end()) return project;
  const Piece* piece = find_piece(project, id);
  std::string others;
  double count = 0;
  for (const int other : all) {
    const auto theirs = depends_on(project, other);
    if (other == id || std::find(theirs.begin(), theirs.end(), id) == theirs.end()) continue;
    const Piece* p = find_piece(project, other);
    if (p) others += (others.empty() ? "" : ", ") + p->name, ++count;
  }
  const std::string name = piece ? piece->name : std::string();
  if (others.empty()) return fail(ErrorKind::bad_request, {"shaped-by-itself", {{"piece", name}}});
  return fail(ErrorKind::bad_request, {"shaped-in-turn", {{"piece", name}, {"others", others}, {"count", count}}});
}

}  // namespace

Result<Project> add_shape(Project project, const std::string& kind, const Values& values, int* id) {
  const KindSpec* spec = find_kind(shape_kinds(), kind);
  if (!spec || kind == "picture") return fail(ErrorKind::bad_request, {"no-shape", {{"shape", kind}}});
  if (auto ok = accept_all(*spec, values); !ok) return tl::unexpected<Error>(ok.error());
  Piece piece;
  piece.name = spec->label;
  piece.source.kind = kind;
  piece.source.values = values;
  return put_on_top(std::move(project), std::move(piece), id);
}

Project add_outline_of(Project project, const std::vector<int>& pieces, double by, int* id) {
  Piece piece;
  piece.id = next_piece_id(project);
  if (id) *id = piece.id;
  std::vector<double> with(pieces.begin(), pieces.end());
  std::size_t below = 0;
  for (std::size_t i = 0; i < project.pieces.size(); ++i) {
    const auto& p = project.pieces[i];
    if (std::find(pieces.begin(), pieces.end(), p->id) == pieces.end()) continue;
    piece.name = p->name + ", behind";
    piece.stock = p->stock;
    below = i + 1;
  }
  piece.source.kind = "pieces";
  piece.steps = {Step{1, "join", true, {{"with", with}}, {}, {}},
                 Step{2, "offset", true, {{"by", by}, {"contours", std::string("outer")}}, {}, {}}};
  piece.dress["outline"] = {Role::cut, false, choose_tool(project, Role::cut, {}, piece.stock), 0};
  project.pieces.insert(project.pieces.begin() + static_cast<std::ptrdiff_t>(below), Shared<Piece>(std::move(piece)));
  match_sheets(project);
  return project;
}

Project add_template_of(Project project, const std::vector<int>& pieces, int* id) {
  Piece piece;
  piece.id = next_piece_id(project);
  if (id) *id = piece.id;
  std::vector<double> with;
  for (auto p = project.pieces.rbegin(); p != project.pieces.rend(); ++p) {  // the lowest first
    if (std::find(pieces.begin(), pieces.end(), (*p)->id) == pieces.end()) continue;
    if (with.empty()) piece.stock = (*p)->stock;
    with.push_back((*p)->id);
  }
  if (with.empty()) return project;
  if (find_stock(project, "paper")) piece.stock = "paper";
  piece.name = "Placement template";
  piece.source.kind = "pieces";
  piece.steps = {Step{1, "template", true, {{"with", with}}, {}, {}}};
  for (const char* line : {"outlines", "numbers"})
    piece.dress[line] = {Role::draw, false, choose_tool(project, Role::draw, {34, 34, 34}, piece.stock), 0};
  project.pieces.push_back(Shared<Piece>(std::move(piece)));
  match_sheets(project);
  return project;
}

Project add_picture(Project project, Picture picture, const std::string& file, const Values& values, int* id) {
  Piece piece;
  const std::filesystem::path path(file);
  piece.name = path.stem().string();
  std::replace(piece.name.begin(), piece.name.end(), '-', ' ');
  piece.source.kind = "picture";
  piece.source.values = values;
  piece.source.file = path.filename().string();
  piece.source.picture = std::move(picture);
  return put_on_top(std::move(project), std::move(piece), id);
}

Result<Project> set_source_value(Project project, int id, const std::string& key, const Value& value) {
  const Piece* piece = find_piece(project, id);
  const KindSpec* spec = piece ? find_kind(shape_kinds(), piece->source.kind) : nullptr;
  if (!spec) return project;
  if (auto ok = accept_all(*spec, {{key, value}}); !ok) return tl::unexpected<Error>(ok.error());
  return set_source_values(std::move(project), id, with_value(piece->source, key, value));
}

Project set_source_values(Project project, int id, const Values& values) {
  const Piece* piece = find_piece(project, id);
  if (!piece) return project;
  Piece next = *piece;
  next.source.values = values;
  if (next.source.kind != "picture") dress_new(project, next, made_by(next.source));
  return edit_piece(std::move(project), id, [&](Piece& p) { p = next; });
}

Result<Project> add_step(Project project, int id, Step step, int* step_id) {
  const KindSpec* spec = find_kind(step_kinds(), step.kind);
  if (!spec) return fail(ErrorKind::bad_request, {"no-step", {{"step", step.kind}}});
  if (auto ok = accept_all(*spec, step.values); !ok) return tl::unexpected<Error>(ok.error());
  project = edit_piece(std::move(project), id, [&](Piece& p) {
    step.id = next_step_id(p);
    if (step_id) *step_id = step.id;
    p.steps.push_back(step);
  });
  return unless_circular(std::move(project), id);
}

Result<Project> set_step_value(Project project, int id, int step, const std::string& key, const Value& value) {
  const Piece* piece = find_piece(project, id);
  if (!piece) return project;
  for (const auto& s : piece->steps) {
    const KindSpec* spec = s.id == step ? find_kind(step_kinds(), s.kind) : nullptr;
    if (!spec) continue;
    if (auto ok = accept_all(*spec, {{key, value}}); !ok) return tl::unexpected<Error>(ok.error());
  }
  project = edit_piece(std::move(project), id, [&](Piece& p) {
    for (auto& s : p.steps) {
      if (s.id == step) s.values[key] = value;
    }
  });
  return unless_circular(std::move(project), id);
}

Project switch_step(Project project, int piece, int step, bool on) {
  return edit_piece(std::move(project), piece, [&](Piece& p) {
    for (auto& s : p.steps) {
      if (s.id == step) s.on = on;
    }
  });
}

Project shift_step(Project project, int piece, int step, int by) {
  return edit_piece(std::move(project), piece, [&](Piece& p) {
    const auto at = std::find_if(p.steps.begin(), p.steps.end(), [&](const Step& s) { return s.id == step; });
    if (at == p.steps.end()) return;
    const auto from = at - p.steps.begin();
    const auto to = std::clamp<std::ptrdiff_t>(from + by, 0, static_cast<std::ptrdiff_t>(p.steps.size()) - 1);
    Step moved = *at;
    p.steps.erase(at);
    p.steps.insert(p.steps.begin() + to, std::move(moved));
  });
}

Project remove_step(Project project, int piece, int step) {
  return edit_piece(std::move(project), piece,
                    [&](Piece& p) { std::erase_if(p.steps, [&](const Step& s) { return s.id == step; }); });
}

bool can_move_lines(const Project& project, const std::vector<LineRef>& lines) {
  return !lines.empty() && std::all_of(lines.begin(), lines.end(), [&](const LineRef& ref) {
    const Piece* piece = find_piece(project, ref.piece);
    return !ref.line.empty() && piece &&
           std::any_of(piece->steps.begin(), piece->steps.end(), [](const Step& s) { return s.on; });
  });
}

Project move_lines(Project project, const std::vector<LineRef>& lines, Vec by) {
  std::map<int, std::string> of;  // the lines' ids by piece
  for (const auto& ref : lines) {
    if (!can_move_lines(project, {ref})) continue;
    std::string& ids = of[ref.piece];
    ids += (ids.empty() ? "" : ",") + ref.line;
  }
  for (const auto& [id, ids] : of) {
    const Affine back = frame_of(find_piece(project, id)->placement).to_figure.inverse();
    const Vec local = back(by) - back({0, 0});
    project = edit_piece(std::move(project), id, [&, &known = ids](Piece& p) {
      const KindSpec& kind = *find_kind(step_kinds(), "move-lines");
      const auto goes_on = [&](const Step& s) {
        return s.on && s.kind == "move-lines" && Reading(kind, s.values).text("of") == known;
      };
      if (p.steps.empty() || !goes_on(p.steps.back())) {
        Step step;
        step.id = next_step_id(p);
        step.kind = "move-lines";
        step.values["of"] = known;
        p.steps.push_back(std::move(step));
      }
      Values& values = p.steps.back().values;
      const Reading take(kind, values);
      const double right = take.number("right") + local.x, up = take.number("up") - local.y;
      values["right"] = std::clamp(right, -5000.0, 5000.0), values["up"] = std::clamp(up, -5000.0, 5000.0);
    });
  }
  return project;
}

Project pick_contour(Project project, const Drawing& drawing, int id, Vec at, bool keep) {
  const DrawnPiece* drawn = find_drawn(drawing, id);
  if (!drawn || drawn->piece->lines.empty()) return project;
  const std::string mode = keep ? "keep" : "drop";
  return edit_piece(std::move(project), id, [&](Piece& p) {
    const bool go_on = !p.steps.empty() && p.steps.back().kind == "drop-contours" && p.steps.back().on &&
                       Reading(*find_kind(step_kinds(), "drop-contours"), p.steps.back().values).text("mode") == mode &&
                       !keep;
    // Places are fractions of the bounds before the step.
    Box box;
    if (go_on && drawn->outcomes.size() > 1) {
      box = drawn->outcomes[drawn->outcomes.size() - 2].bounds;
    } else {
      box = bounds_of(drawn->piece->lines);
    }
    const Vec local = drawn->map.inverse()(at);
    if (box.width() <= 0 || box.height() <= 0) return;
    if (!go_on) {
      Step step;
      step.id = next_step_id(p);
      step.kind = "drop-contours";
      step.values["mode"] = mode;
      step.values["at"] = std::vector<double>{};
      p.steps.push_back(std::move(step));
    }
    Step& last = p.steps.back();
    auto spots = Reading(*find_kind(step_kinds(), "drop-contours"), last.values).list("at");
    spots.push_back((local.x - box.x0) / box.width());
    spots.push_back((local.y - box.y0) / box.height());
    last.values["at"] = std::move(spots);
  });
}

Project freeze(Project project, const Drawing& drawing, int id) {
  const DrawnPiece* drawn = find_drawn(drawing, id);
  if (!drawn || drawn->stale) return project;
  return edit_piece(std::move(project), id, [&](Piece& p) {
    if (p.plain()) return;
    const bool helper = p.helper;
    auto lines = drawn->piece->lines;
    if (helper) {  // shown as guides only while it helps
      for (auto& line : lines) {
        if (const auto said = p.dress.find(line.id); said != p.dress.end() && said->second.role)
          line.role = *said->second.role;
      }
    }
    p.lines = std::move(lines);
    p.placement = drawn->map;
    p.steps.clear();
    p.dress.clear();
    Source source;
    source.file = p.source.file;
    source.unit_source = p.source.unit_source;
    source.per_inch = p.source.per_inch;
    p.source = std::move(source);
  });
}

Project remove_with_users(Project project, const Drawing& drawing, const std::vector<int>& pieces, bool freeze_users) {
  if (freeze_users) {
    for (const int id : pieces) {
      for (const int user : users_of(project, id)) {
        if (std::find(pieces.begin(), pieces.end(), user) == pieces.end())
          project = freeze(std::move(project), drawing, user);
      }
    }
  }
  return remove_pieces(std::move(project), pieces);
}

Project trim_under(Project project, const std::vector<int>& pieces, double tuck_mm) {
  for (std::size_t i = 1; i < project.pieces.size(); ++i) {  // nothing hides the uppermost
    const int id = project.pieces[i]->id;
    if (project.pieces[i]->helper) continue;
    if (!pieces.empty() && std::find(pieces.begin(), pieces.end(), id) == pieces.end()) continue;
    project = edit_piece(std::move(project), id, [&](Piece& p) {
      auto step = std::find_if(p.steps.begin(), p.steps.end(), [](const Step& s) { return s.kind == "trim-under"; });
      if (step == p.steps.end()) {
        Step fresh;
        fresh.id = next_step_id(p);
        fresh.kind = "trim-under";
        step = p.steps.insert(p.steps.end(), fresh);
      }
      step->on = true;
      step->values["tuck"] = tuck_mm;
    });
  }
  return project;
}

Project untrim(Project project, const std::vector<int>& pieces) {
  for (auto& piece : project.pieces) {
    if (!pieces.empty() && std::find(pieces.begin(), pieces.end(), piece->id) == pieces.end()) continue;
    const bool trims =
        std::any_of(piece->steps.begin(), piece->steps.end(), [](const Step& s) { return s.kind == "trim-under"; });
    if (trims)
      piece.edit([](Piece& p) { std::erase_if(p.steps, [](const Step& s) { return s.kind == "trim-under"; }); });
  }
  return project;
}

}  // namespace dotlane
