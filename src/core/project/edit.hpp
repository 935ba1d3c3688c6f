// Edits of a project: values in, values out. Ids that do not exist are passed over, so a late edit does no harm.
#pragma once

#include <functional>
#include <string>
#include <vector>

#include "core/project/artwork.hpp"
#include "core/project/drawing.hpp"
#include "core/project/ids.hpp"
#include "core/project/project.hpp"

namespace dotlane {

/// The project with `change` made to the piece; untouched pieces stay shared.
template <class Change>
Project edit_piece(Project project, int id, Change&& change) {
  const auto at = find_id(project.pieces, id, [](const Shared<Piece>& p) { return p->id; });
  if (at != project.pieces.end()) project.pieces[static_cast<std::size_t>(at - project.pieces.begin())].edit(change);
  return project;
}

/// Says what each line of new artwork probably is: dashed inside a cut outline = score, open strokes = draw,
/// closed = cut, unpainted = guide.
[[nodiscard]] std::vector<Role> guess_roles(const std::vector<ArtLine>& lines);

/// Adds the artwork as one piece on top, at the place it has in its file, on the first sheet's stock (65 lb cover when
/// there is no sheet yet). Roles are guessed and marked so; drawn lines get a pen of their colour, added to the rack
/// when it has none. Returns the new piece's id through `id` when given.
[[nodiscard]] Project add_artwork(Project project, const Artwork& art, const std::string& file, int* id = nullptr);

/// Gives the lines this role. `tool` is a rack id that serves it; empty picks one (see choose_tool).
[[nodiscard]] Project assign_role(Project project, const std::vector<LineRef>& lines, Role role,
                                  const std::string& tool = {});
[[nodiscard]] Project confirm_roles(Project project, const std::vector<LineRef>& lines);
[[nodiscard]] Project set_repeats(Project project, const std::vector<LineRef>& lines, int repeats);
/// Whether the repeats of the lines go over each stroke at once, or over the whole pass again.
[[nodiscard]] Project set_stroke_by_stroke(Project project, const std::vector<LineRef>& lines, bool on);

/// How high what the lines outline stands up from its sheet; only guides mean it.
[[nodiscard]] Project set_raised(Project project, const std::vector<LineRef>& lines, double height_mm);

/// How the role is run on the stock of that sheet.
[[nodiscard]] Project set_setting(Project project, int sheet, Role role, const Setting& setting);

/// The rack tool for a role on a stock: for draw a pen of this ink (added to the rack when there is none), else the
/// first that takes the stock's thickness and force, else its thickness, else the first that serves (added to the rack
/// when none does). Empty for print and guide.
[[nodiscard]] std::string choose_tool(Project& project, Role role, Color ink, const std::string& stock);

/// Whether any line of the project, made ones included, wants the tool.
[[nodiscard]] bool wants_tool(const Project& project, const std::string& tool);

/// Takes the tool off the rack, unless a line still wants it.
[[nodiscard]] Project remove_tool(Project project, const std::string& tool);

/// The tight bounds of the piece's curves, mm.
[[nodiscard]] Box tight_bounds(const DrawnPiece& piece);

/// The tight bounds around them all.
[[nodiscard]] Box frame_around(const Drawing& drawing, const std::vector<int>& pieces);

/// Places the pieces anew by a map of the figure onto itself. What is made of other pieces alone and goes with one of
/// them is not moved twice.
[[nodiscard]] Project place_pieces(Project project, const std::vector<int>& pieces, const Affine& map);
[[nodiscard]] Project move_pieces(Project project, const std::vector<int>& pieces, Vec by);
/// Turns the pieces as one by `degrees` counter-clockwise as seen, about the middle of the frame around them.
[[nodiscard]] Project turn_pieces(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                  double degrees);
/// Mirrors the pieces as one in that frame: left to right, or top to bottom when not `across`.
[[nodiscard]] Project mirror_pieces(Project project, const Drawing& drawing, const std::vector<int>& pieces,
                                    bool across);
/// Moves the pieces together by the least that puts their bounds inside what the usable area is
/// to the first sheet of their stock; centres what is too large.
[[nodiscard]] Project bring_onto_mat(Project project, const Drawing& drawing, const std::vector<int>& pieces);
[[nodiscard]] Project set_aspect_lock(Project project, int piece, bool locked);
/// Hides or locks the pieces, or leaves them out of the run: `what` is &Piece::hidden and so on.
[[nodiscard]] Project set_each(Project project, const std::vector<int>& pieces, bool Piece::*what, bool on);
[[nodiscard]] Project rename_piece(Project project, int piece, const std::string& name);
/// Moves the piece to the stock, adding a sheet of it on a mat load of its own when there is none.
[[nodiscard]] Project set_stock(Project project, int piece, const std::string& stock);
/// Moves the piece up (-1) or down (+1) in layer order.
[[nodiscard]] Project shift_layer(Project project, int piece, int by);
/// A copy on top of the piece, moved by `by`.
[[nodiscard]] Project duplicate_piece(Project project, int piece, int* id = nullptr, Vec by = {10, 10});

/// Whether the piece only shapes others and is never run.
[[nodiscard]] Project set_helper(Project project, int piece, bool helper);

[[nodiscard]] Project remove_pieces(Project project, const std::vector<int>& pieces);
/// Removes single lines: a source's own for good, made ones by a step that leaves them out. A piece left without lines
/// goes too.
[[nodiscard]] Project remove_lines(Project project, const std::vector<LineRef>& lines);
/// Replaces a piece with lines of its own by one for each key of its lines, named after it, in the same place. Returns
/// their ids, the first key's first.
std::vector<int> split_piece(Project& project, int piece, const std::function<std::string(const Line&)>& key);

/// One piece for each layer of the artwork, named after it, in the same place. Only for pieces with lines of their own.
[[nodiscard]] Project split_by_layer(Project project, int piece);
/// Units per inch that a drawing without a physical size may have been made at, by the note that says so: those of
/// screens, or of drawings by measure (form "units").
[[nodiscard]] std::vector<double> likely_per_inch(const Finding& size_assumed);
/// "mm", "cm" or "in" where so many of it are an inch.
[[nodiscard]] std::string_view unit_of(double per_inch);
/// Rescales a piece whose size was assumed to another number of units per inch and takes the size as settled.
[[nodiscard]] Project settle_size(Project project, int piece, double per_inch);
/// Closes open contours of the lines whose ends are at most `gap_mm` apart on the mat.
[[nodiscard]] Project close_ends(Project project, const std::vector<LineRef>& lines, double gap_mm);

/// Removes sheets whose stock no piece uses and adds one for each stock that has pieces but no sheet.
void match_sheets(Project& project);
/// Only the second of that.
void add_missing_sheets(Project& project);
/// Adds a sheet of the stock, as large as the mat, on a mat load of its own. Returns its id.
int add_sheet(Project& project, const std::string& stock);

/// A slug not yet taken: "fine-pen-2" when "fine-pen" exists.
[[nodiscard]] std::string fresh_tool_id(const Project& project, const std::string& name);

}  // namespace dotlane
