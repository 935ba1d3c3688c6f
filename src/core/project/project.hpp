// The project: what is saved. Plain values that refer to each other by id.
#pragma once

#include <array>
#include <map>
#include <memory>
#include <optional>
#include <string>
#include <string_view>
#include <tuple>
#include <vector>

#include "core/color.hpp"
#include "core/geometry/path.hpp"
#include "core/project/finding.hpp"
#include "core/project/held.hpp"
#include "core/project/laying.hpp"
#include "core/project/picture.hpp"
#include "core/project/recipe.hpp"
#include "core/project/role.hpp"
#include "core/shared_value.hpp"

namespace dotlane {

/// One line of the artwork. Lengths are mm in the piece's own coordinates.
struct Line {
  std::string id;     ///< unique in its piece
  std::string layer;  ///< the label of the group it came in
  Shared<Path> path;
  Affine at;            ///< the path's coordinates to the piece's: copies of a pattern share their path. Never stored.
  Color color;          ///< the stroke's, else the fill's
  bool filled = false;  ///< the artwork fills it
  bool dashed = false;  ///< the artwork dashes it
  Role role = Role::cut;
  bool role_guessed = false;      ///< set by import, cleared when a person confirms or assigns
  std::string tool;               ///< rack id; empty for print and guide
  int repeats = 0;                ///< times the tool goes over it; 0 = as the stock says
  bool stroke_by_stroke = false;  ///< repeats go over each stroke at once instead of over the whole pass again
  int coat = 0;                   ///< strokes of a fill: 1, or 2 for those of its second pass; other lines 0
  double raised_mm = 0;           ///< guides: how high what they outline stands up from the sheet; 0: it does not
  Unknown unknown;
  friend bool operator==(const Line&, const Line&) = default;
};

/// The line's path in the coordinates of its piece.
[[nodiscard]] Path placed_path(const Line& line);

/// Where a physical size came from.
enum class UnitSource { stated, assumed };

/// Where a piece's lines come from: a file (or nowhere any more), or a ready shape or picture made from its values.
struct Source {
  std::string kind;  ///< empty: the piece's own lines; else one of shape_kinds()
  Values values;
  Shared<Picture> picture;  ///< what is traced, for the kind "picture"
  std::string file;
  UnitSource unit_source = UnitSource::stated;
  double per_inch = 96;  ///< artwork units per inch that the lines were read at
  std::vector<Finding> notes;
  Unknown unknown_values;  ///< among the values
  Unknown unknown;
  friend bool operator==(const Source&, const Source&) = default;
};

/// What is said about a line that a shape or a step makes, by its id; it has no Line of its own to keep that.
struct Dress {
  std::optional<Role> role;  ///< nothing: as it is made
  bool role_guessed = false;
  std::string tool;
  int repeats = 0;
  bool stroke_by_stroke = false;
  double raised_mm = 0;
  Unknown unknown{};
  friend bool operator==(const Dress&, const Dress&) = default;
};

/// Something that is sized, placed and coloured as one thing: a source and the steps that shape it. What comes of it is
/// never stored; see evaluate() in core/shape/evaluate.hpp.
struct Piece {
  int id = 0;
  std::string name;
  std::string stock;  ///< stock id
  std::string group;  ///< names of the groups around it, outermost first, joined with " / "
  Affine placement;   ///< the source's coordinates to the figure's, mm
  bool aspect_locked = true;
  bool helper = false;      ///< only shapes other pieces; never run itself
  bool hidden = false;      ///< not shown on the bench; it is run all the same
  bool locked = false;      ///< the bench's hands pass it by
  bool not_now = false;     ///< left out of the run
  std::vector<Hold> holds;  ///< where it is held, at most once on an axis
  std::optional<Fit> fit;   ///< inside what it is fitted
  Source source;
  std::vector<Line> lines;  ///< of a source without a kind
  std::vector<Step> steps;
  std::map<std::string, Dress> dress;  ///< of made lines, by their ids
  Unknown unknown;
  [[nodiscard]] bool plain() const { return source.kind.empty() && steps.empty(); }
  friend bool operator==(const Piece&, const Piece&) = default;
};

/// Something that goes into a holder. Force in grams-force, lengths in mm.
enum class ToolKind {
  blade,
  scoring_tip,
  pen,
  pencil,
  chisel_marker,
  foil_tip,
  engraving_tip,
  embossing_tip,
  stippling_point,
  other
};
inline constexpr std::array kToolKinds{ToolKind::blade,         ToolKind::scoring_tip,   ToolKind::pen,
                                       ToolKind::pencil,        ToolKind::chisel_marker, ToolKind::foil_tip,
                                       ToolKind::engraving_tip, ToolKind::embossing_tip, ToolKind::stippling_point,
                                       ToolKind::other};
/// As files and people say it: "scoring tip".
[[nodiscard]] std::string_view word(ToolKind kind);
[[nodiscard]] std::optional<ToolKind> tool_kind_from(std::string_view word);

struct Tool {
  std::string id;    ///< lower-case slug, also the cutter's name for it
  std::string name;  ///< for people
  ToolKind kind = ToolKind::other;
  std::vector<Role> serves;
  double tip_width_mm = 0.1;
  Color ink;  ///< the mark it leaves (pens, foil)
  double min_force_gf = 10, max_force_gf = 100;
  double thickest_mm = 0.5;  ///< thickest stock it is meant for
  int count = 1;             ///< how many of it there are: two blades may wait at two depths
  double dry_s = 0;          ///< until a pass may go over what it has drawn; 0: at once
  double trail_mm = 0;    ///< how far a blade's edge touches behind its axis; 0: not at all, or the machine sees to it
  double overcut_mm = 0;  ///< how far it runs on past the start of a closed contour
  Vec tip_mm;             ///< where it touches beside the middle of its holder while it sits as marked, x right, y down
  bool transfers = false;  ///< its ink is ironed on
  double sits_deg = 0;     ///< how far it is turned from there, counter-clockwise as seen from above
  double lasts_m = 0;      ///< how far it marks until it is dry or worn out; 0: nobody knows
  double price = 0;        ///< of a new one, in the user's money; 0: nobody said
  double covers_mm = 0;    ///< strokes of a fill so far apart just cover, as seen on a swatch; 0: as wide as its tip
  Unknown unknown;
  friend bool operator==(const Tool&, const Tool&) = default;
};

/// In curves tighter than a radius a tool goes no faster than this. 0 mm: it goes as fast everywhere.
struct Slowed {
  double radius_mm = 0, speed_mm_s = 20;
  friend bool operator==(const Slowed&, const Slowed&) = default;
};

/// How one role is run on one stock.
struct Setting {
  double force_gf = 50;
  double speed_mm_s = 80;
  double depth = 0;  ///< blade depth mark; 0 where it does not apply
  int repeats = 1;
  int tabs = 0;         ///< places of each cut contour that are left standing, so that it stays held
  double tab_mm = 0.5;  ///< how wide
  Slowed slowed{};
  Unknown unknown{};
  friend bool operator==(const Setting&, const Setting&) = default;
};

/// A material: what it is and how it is worked.
struct Stock {
  std::string id;
  std::string name;
  Color color{255, 255, 255};
  double thickness_mm = 0.2;
  double grammage_gsm = 0;     ///< 0 where it does not apply
  double shrinks_percent = 0;  ///< of its length, in the wash before it is cut
  bool clear = false;          ///< seen through: a mark on its back shows at its front
  bool takes_ink = true;       ///< ink stays on it; else it smears, or beads
  bool never_cut = false;      ///< a blank that is marked and never cut: metal, acrylic
  LaidOut laid_out = LaidOut::as_drawn;
  Grain grain = Grain::none;
  std::map<Role, Setting> settings;
  Unknown unknown;
  friend bool operator==(const Stock&, const Stock&) = default;
};

/// How well a mat holds what lies on it.
enum class Tack { low, medium, high };
inline constexpr std::array kTacks{Tack::low, Tack::medium, Tack::high};
[[nodiscard]] std::string_view word(Tack tack);

struct Mat {
  std::string name;
  double width_mm = 304.8, height_mm = 304.8;
  Tack tack = Tack::medium;
  Unknown unknown{};
  friend bool operator==(const Mat&, const Mat&) = default;
};

/// The cutter. Speeds mm/s, acceleration mm/s², times s.
/// What a machine makes of planned seconds: it takes `factor` times as long, give or take `spread` of that.
struct Pace {
  double factor = 1, spread = 0;
  Unknown unknown{};
  friend bool operator==(const Pace&, const Pace&) = default;
};

struct Machine {
  std::string name;
  Mat mat;
  double border_mm = 6.4;  ///< kept clear on every side of the mat
  int holders = 2;         ///< 1 to 4
  double rated_thickness_mm = 2.0;
  double max_force_gf = 350;
  double travel_mm_s = 200;
  double accel_mm_s2 = 2000;
  double jerk_mm_s3 = 0;                ///< how quickly the acceleration itself may change; 0: at once
  double junction_deviation_mm = 0.02;  ///< how far the head may round a corner; sets its speed there
  double lower_s = 0.08, lift_s = 0.08;
  /// How far off a tool lands after a lift: the standard deviation along x and y. Common practice, no published source.
  double landing_mm = 0.08;
  double swap_s = 45;       ///< hands on one tool swap
  double set_s = 15;        ///< hands on a mark set anew, tool left in; common practice, no published source
  bool sets_depth = false;  ///< the machine sets blade depths itself
  bool reads_marks = true;  ///< it finds the marks of printed sheets itself
  double mark_s = 4;        ///< to find one of them, way and all; common practice, no published source
  /// Kinds of tool that each holder takes, by holder; nothing said: all.
  std::vector<std::vector<ToolKind>> takes;
  /// The bar that the mat passes under: what it clears, and how far it reaches before and behind the tip, mm.
  double bar_clears_mm = 2.0, bar_reaches_mm = 25;
  std::map<Role, Pace> pace;  ///< of passes of each role, as timed; nothing said: as planned
  /// The head goes so many times as far as it is sent along x and y, from home, and comes down so far beside that.
  Vec scale{1, 1}, origin_mm;
  std::vector<double> rollers_mm;  ///< middles of the rollers that hold the mat down, from its left edge; as set now
  double roller_width_mm = 12;
  Unknown unknown;
  [[nodiscard]] Box mat_area() const { return {0, 0, mat.width_mm, mat.height_mm}; }
  [[nodiscard]] Box usable_area() const { return mat_area().grown(-border_mm); }
  friend bool operator==(const Machine&, const Machine&) = default;
};
[[nodiscard]] Pace pace_of(const Machine& machine, Role role);
/// Head position before the first pass: the lower left corner of the mat, HPGL's origin.
[[nodiscard]] Vec home_of(const Machine& machine);
/// Where the head really comes to when it is sent to a place, mm on the mat.
[[nodiscard]] Affine reached(const Machine& machine);
/// How far apart strokes may be that just cover, mm.
[[nodiscard]] inline double covering_mm(const Tool& tool) {
  return tool.covers_mm > 0 ? tool.covers_mm : tool.tip_width_mm;
}

/// A line on a sheet: it stands for whatever pass it is run in there, with whichever tool and however often.
struct PassLine {
  int piece = 0;
  std::string line;
  int sheet = 0;
  Unknown unknown{};  ///< does not tell lines apart
  friend auto operator<=>(const PassLine& a, const PassLine& b) {
    return std::tie(a.piece, a.line, a.sheet) <=> std::tie(b.piece, b.line, b.sheet);
  }
  friend bool operator==(const PassLine& a, const PassLine& b) { return (a <=> b) == 0; }
};
/// A wish by hand: the pass of one line before that of another.
struct HandOrder {
  PassLine first, second;
  Unknown unknown{};
  friend bool operator==(const HandOrder&, const HandOrder&) = default;
};

/// What a holder has before the job begins.
struct Loaded {
  std::string tool;  ///< rack id; empty: nothing
  double depth = 0;  ///< the mark it is set to; 0: none, or not known
  Unknown unknown{};
  friend bool operator==(const Loaded&, const Loaded&) = default;
};

/// In which order passes are run, and which of them.
struct PlanSettings {
  std::vector<Role> role_order{Role::draw, Role::foil, Role::engrave, Role::emboss, Role::score, Role::cut};
  std::vector<HandOrder> by_hand;    ///< these come before what role_order says
  std::vector<PassLine> pins;        ///< their passes keep their places when all is planned anew
  std::vector<Loaded> loaded;        ///< by holder; nothing said: empty
  bool mirrored = false;             ///< the whole job is mirrored, once, when it is planned
  bool outlines_last = false;        ///< of a cut pass: what comes loose is cut round after all else
  bool by_tool = false;              ///< all mats with the tools that are loaded, before these change
  std::vector<std::string> not_now;  ///< pass keys that are left out of the run
  std::vector<Role> roles_not_now;   ///< roles that are left out of the run
  double minute_price = 0;           ///< of who works, in the user's money a minute; 0: not counted
  Unknown unknown;
  friend bool operator==(const PlanSettings&, const PlanSettings&) = default;
};

/// From which sizes on the checks speak up.
struct CheckSettings {
  double tiny_mm2 = 2.0;   ///< bits smaller than this are hard to weed (common practice, no published source)
  double sliver_mm = 0.4;  ///< strips narrower than this tear
  /// Of stencils for paint: what a brush or a sponge still gets into, and what paint needs around the picture so that
  /// it does not get past the edge; 0: not looked at. Common practice, no published source.
  double brush_mm = 1.5, bleed_mm = 10;
  Unknown unknown;
  friend bool operator==(const CheckSettings&, const CheckSettings&) = default;
};

enum class LengthUnit { mm, inch };

struct Project {
  std::string name;
  LengthUnit unit = LengthUnit::mm;   ///< for rulers and fields; files and the core keep mm
  std::vector<Shared<Piece>> pieces;  ///< top layer first
  std::vector<Guide> guides;
  std::vector<Sheet> sheets;
  std::vector<PartRecord> parts;  ///< of those about which something was said
  std::vector<ShelfItem> shelf;
  LaySettings laying;
  std::vector<Stock> stocks;
  std::vector<Tool> tools;
  Machine machine;
  PlanSettings plan;
  CheckSettings checks;
  Unknown unknown;
  friend bool operator==(const Project&, const Project&) = default;
};

[[nodiscard]] const Piece* find_piece(const Project& project, int id);
[[nodiscard]] const Tool* find_tool(const Project& project, const std::string& id);
[[nodiscard]] const Stock* find_stock(const Project& project, const std::string& id);
[[nodiscard]] const Sheet* find_sheet(const Project& project, int id);
/// The first sheet of the stock.
[[nodiscard]] const Sheet* first_sheet(const Project& project, const std::string& stock);
/// Width and height, mm, of what tools reach on the largest sheet of the stock that is on the shelf, else in the
/// project; of the whole mat where neither has any.
[[nodiscard]] Vec sheet_room(const Project& project, const std::string& stock);
[[nodiscard]] bool serves(const Tool& tool, Role role);

/// The stock's own setting for the role, else the role's general one.
[[nodiscard]] Setting setting_for(const Stock& stock, Role role);

}  // namespace dotlane
