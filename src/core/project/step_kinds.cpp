// The table of steps.
#include "core/project/kind_values.hpp"

namespace dotlane {
namespace {

const std::vector<Word> kCorners{{"round", "round"}, {"mitre", "mitred"}, {"bevel", "bevelled"}};

KindSpec repeat_kind() {
  using namespace kind_values;
  const std::vector<std::string> rows{"row", "grid", "brick", "hex"}, flat{"grid", "brick", "hex"},
      not_ring{"row", "grid", "brick", "hex", "path"},
      counted{"count-gap", "count-shapes", "count-pitch", "count-room"},
      gap{"count-gap", "count-shapes", "fill-gap", "fill-shapes"}, pitch{"count-pitch", "fill-pitch"},
      room{"count-room", "fill-gap", "fill-shapes", "fill-pitch"};
  const ValueSpec::Condition ring{"way", {"around"}};
  return {
      "repeat",
      "Repeat",
      "Copies in rows, like bricks or a honeycomb, in a circle or along a path.",
      "Place",
      {choice("way", "in",
              {{"row", "a row"},
               {"grid", "a grid"},
               {"brick", "bricks"},
               {"hex", "honeycomb"},
               {"around", "a circle"},
               {"path", "a path"}}),
       only(
           {{"way", not_ring}},
           choice(
               "by", "set by",
               {{"count-gap", "number, box gap"},
                {"count-shapes", "number, gap"},
                {"count-pitch", "number, pitch"},
                {"count-room", "number, room"},
                {"fill-gap", "room, box gap"},
                {"fill-shapes", "room, gap"},
                {"fill-pitch", "room, pitch"}},
               "Any two give the rest. The gap is that between shapes, a box gap that between the boxes around them.")),
       only({ring},
            choice("ring", "set by", {{"radius", "number, radius"}, {"shapes", "number, gap"}, {"fill", "radius, gap"}},
                   "Any two give the rest.")),
       only({{"way", not_ring}, {"by", counted}}, {ring, {"ring", {"radius", "shapes"}}},
            count("count", "how many", 3, 1, 200, "Across, or in all of a circle or path.")),
       only({{"way", flat}, {"by", counted}}, count("rows", "rows", 2, 1, 200)),
       only({{"way", not_ring}, {"by", gap}}, {ring, {"ring", {"shapes", "fill"}}},
            length("gap", "gap", 2, -500, 500, "Negative: boxes overlap.")),
       only({{"way", not_ring}, {"by", pitch}}, length("pitch", "pitch", 20, 0.1, 5000, "From one to the next.")),
       only({{"way", {"grid", "brick"}}, {"by", pitch}},
            length("pitch-down", "pitch of rows", 0, 0, 5000, "From row to row; 0: the same.")),
       only({{"way", rows}, {"by", room}},
            length("wide", "across, 0 = sheet", 0, 0, 5000, "Of the room; 0: what tools reach of the sheet.")),
       only({{"way", rows}, {"by", room}},
            length("high", "down, 0 = sheet", 0, 0, 5000, "Of the room; 0: what tools reach of the sheet.")),
       only({{"way", {"brick"}}}, percent("shift", "rows shifted by", 50, 0, 100)),
       only({{"way", rows}}, choice("each", "each one",
                                    {{"p1", "alike, p1"},
                                     {"pm", "pm, columns mirrored in turn"},
                                     {"pg", "pg, columns upside down in turn"},
                                     {"pmm", "pmm, mirrored both ways"},
                                     {"p2", "p2, columns turned in turn"},
                                     {"p4", "p4, four around a point"},
                                     {"p6", "p6, six around a point"},
                                     {"mirrored", "mirrored, as on a chessboard"},
                                     {"turned", "turned, as on a chessboard"}})),
       only({{"way", rows}, {"by", room}},
            choice("edge", "at the edges", {{"whole", "whole ones"}, {"cut", "cut off"}, {"wrap", "endless"}},
                   "Endless: what is cut off at one edge comes in at the other, so that sheets go on in each other.")),
       only({ring, {"ring", {"radius", "fill"}}}, length("radius", "radius", 30, 0, 2000)),
       only({{"way", {"around", "path"}}}, flag("turn", "turn with it", true)),
       only({{"way", {"path"}}}, pieces("along", "The piece whose longest line is the path."))}};
}

std::vector<KindSpec> make_step_kinds() {
  using namespace kind_values;
  std::vector<KindSpec> k;
  k.push_back({"offset",
               "Offset",
               "Outlines a chosen distance outside or inside.",
               "Outline",
               {length("by", "by", 3, 0, 1000), choice("side", "side", {{"out", "outward"}, {"in", "inward"}}),
                choice("corners", "corners", kCorners),
                number("limit", "mitre limit", 4, 1, 50, "A mitred point reaches at most this many distances."),
                choice("contours", "contours", {{"all", "every one"}, {"outer", "silhouette"}}),
                flag("merge", "merged into one", true), area("holes-under", "fill holes under", 0),
                choice("original", "original", {{"remove", "replaced"}, {"keep", "kept"}, {"draw", "kept, drawn"}}),
                count("count", "how many", 1, 1, 100, "A nested series."), length("reveal", "reveal", 3, 0.05, 1000),
                lines()}});
  k.push_back({"thicken",
               "Thicken",
               "Makes shapes and strokes thicker, or thinner when negative.",
               "Outline",
               {length("by", "by", 0.4, -100, 100, "Of the whole stroke; half of it on either side."), lines()}});
  k.push_back({"join",
               "Join",
               "One shape of all that overlap.",
               "Combine",
               {pieces("also join", "Other pieces that become part of this one."),
                choice("together", "join", {{"all", "everything"}, {"layer", "layer by layer"}}), lines()}});
  k.push_back({"cut-away",
               "Cut away",
               "Removes what other shapes cover.",
               "Combine",
               {pieces("what these cover", "None: upper lines of the piece from those below."), lines()}});
  k.push_back({"overlap",
               "Overlap",
               "Keeps only what other shapes cover too.",
               "Combine",
               {pieces("shared with", "None: what all lines of the piece share."), lines()}});
  k.push_back(
      {"divide", "Divide", "Every fragment that overlapping shapes make.", "Combine", {pieces("along"), lines()}});
  k.push_back({"trim-under",
               "Trim under",
               "Removes what upper layers hide, but for a tuck-under.",
               "Combine",
               {length("tuck", "tuck-under", 1, 0, 5), pieces("under", "None: every piece above."),
                length("sliver", "drop slivers under", 0.3, 0, 5)}});
  k.push_back({"round-corners",
               "Round corners",
               "Rounds corners to a radius.",
               "Outline",
               {length("radius", "radius", 2, 0, 500),
                choice("which", "which", {{"both", "all"}, {"outer", "outward"}, {"inner", "inward"}}), lines()}});
  auto only_for = [](ValueSpec v, std::vector<std::string> words) {
    v.only = {{{"pattern", std::move(words)}}};
    return v;
  };
  const std::vector<std::string> straight{"hatch", "cross", "zigzag", "grid", "rules", "dots"},
      joined{"cross", "zigzag"}, stroked{"hatch", "cross", "zigzag", "contour", "spiral", "grid", "rules"};
  k.push_back(
      {"fill",
       "Fill",
       "Strokes that colour shapes in, for pens, foil and engraving tips.",
       "Fill",
       {choice("pattern", "pattern",
               {{"hatch", "hatch"},
                {"cross", "cross-hatch"},
                {"zigzag", "zigzag, joined"},
                {"contour", "along the outline"},
                {"spiral", "one spiral"},
                {"grid", "squares"},
                {"rules", "lines to write on"},
                {"dots", "dots in rows"},
                {"stipple", "strewn dots"}}),
        length("spacing", "spacing", 0.5, 0.02, 200, "Between strokes; the size of squares."),
        only_for(degrees("angle", "angle", 20), straight),
        only_for(degrees("cross-angle", "second angle", 90, -180, 180), {"cross"}),
        length("inset", "inset", 0.4, 0, 100, "Kept clear along the edge; half a tip keeps ink inside."),
        only_for(length("join", "join ends within", 3, 0, 100, "Along the edge; 0 = never."), joined),
        only_for(flag("edge", "edge drawn too", false, "A stroke along the edge of the fill."),
                 {"hatch", "cross", "zigzag", "grid", "rules", "dots", "stipple"}),
        only_for(length("shortest", "shortest stroke", 0.3, 0, 50), stroked),
        only_for(percent("phase", "shifted by", 0, -100, 100), straight),
        only_for(count("seed", "throw", 1, 1, 9999, "Another number strews the dots another way."), {"stipple"}),
        choice("second", "second pass",
               {{"none", "none"}, {"shifted", "half a spacing on"}, {"turned", "turned by 90°"}}),
        choice("what", "fill", {{"inside", "inside each shape"}, {"between", "between frame and shapes"}}),
        choice("as", "strokes are",
               {{"line", "as their shapes"},
                {"draw", "drawn"},
                {"foil", "foiled"},
                {"engrave", "engraved"},
                {"emboss", "embossed"}}),
        choice("outline", "outline", {{"keep", "kept"}, {"leave-out", "left out"}}),
        only_for(choice("angle-from", "angle counts", {{"piece", "on the piece"}, {"mat", "on the mat"}}), straight),
        lines()}});
  k.push_back({"simplify",
               "Simplify",
               "Fewer nodes, the same shape within a tolerance.",
               "Clean up",
               {length("tolerance", "within", 0.1, 0.001, 50), lines()}});
  k.push_back({"smooth",
               "Smooth",
               "Evens out wobbles shorter than a length.",
               "Clean up",
               {length("span", "over", 1, 0.05, 100), degrees("keep-over", "keep corners over", 60, 0, 180), lines()}});
  k.push_back({"drop-small",
               "Drop small bits",
               "Leaves out contours under a size.",
               "Clean up",
               {length("under", "smaller than", 1, 0, 1000), area("area-under", "area under", 0), lines()}});
  k.push_back({"drop-contours",
               "Drop contours",
               "Leaves out, or keeps, single contours that were clicked.",
               "Clean up",
               {choice("mode", "clicked ones", {{"drop", "left out"}, {"keep", "kept alone"}}),
                {"at", "contours", ValueType::spots, std::vector<double>{}, 0, 1, {}, {}},
                lines()}});
  k.push_back({"leave-out",
               "Leave out lines",
               "Leaves out whole lines.",
               "Clean up",
               {{"of", "lines", ValueType::text, std::string(), 0, 0, {}, "Line names, separated by commas."}}});
  k.push_back({"fill-holes",
               "Fill holes",
               "Fills holes, all or those under a size.",
               "Clean up",
               {area("under", "under (0 = all)", 0), lines()}});
  k.push_back({"remove-doubled",
               "Remove doubled lines",
               "Keeps one of lines that lie on each other.",
               "Clean up",
               {length("within", "within", 0.05, 0.001, 5), lines()}});
  k.push_back({"close-gaps",
               "Close gaps",
               "Joins line ends that nearly meet.",
               "Clean up",
               {length("under", "gaps under", 0.5, 0.001, 50), lines()}});
  k.push_back({"dash",
               "Dashes",
               "Real dashes that meet corners evenly.",
               "Outline",
               {length("dash", "dash", 3, 0.1, 500), length("gap", "gap", 2, 0.1, 500), lines()}});
  k.push_back({"mirror",
               "Mirror",
               "Turns it over, alone or joined to the original.",
               "Place",
               {choice("axis", "along", {{"upright", "an upright line"}, {"level", "a level line"}}),
                flag("keep", "keep the original too", false), length("gap", "apart", 0, -500, 500)}});
  k.push_back({"rotate", "Turn", "Turns it counter-clockwise.", "Place", {degrees("by", "by", 90)}});
  k.push_back({"skew",
               "Slant",
               "Slants it sideways or upward.",
               "Place",
               {degrees("across", "sideways", 15, -80, 80), degrees("up", "upward", 0, -80, 80)}});
  k.push_back({"scale",
               "Scale",
               "Scales it to a size.",
               "Place",
               {choice("to", "to",
                       {{"width", "width"},
                        {"height", "height"},
                        {"longest", "longest side"},
                        {"percent", "percent"},
                        {"fit", "fit other pieces"},
                        {"sheet", "fit its sheet"}}),
                length("size", "size", 80, 0.1, 5000), percent("percent", "percent", 100, 0.1, 10000),
                flag("keep-proportions", "keep proportions", true), length("margin", "margin", 0, 0, 500),
                pieces("fit into")}});
  k.push_back(repeat_kind());
  k.push_back(
      {"bridge",
       "Bridges",
       "Strips that hold the islands of a stencil to the sheet.",
       "Stencil",
       {zero_is("by stock", length("width", "wide", 0, 0, 50, "Thin stocks ask for more. Long ones are made wider.")),
        choice("per-island", "for each island",
               {{"auto", "as its size asks"}, {"1", "one"}, {"2", "two"}, {"3", "three"}, {"4", "four"}}),
        choice("way", "run", {{"upright", "upright"}, {"level", "level"}, {"shortest", "the shortest way"}}),
        length("two-from", "two from", 8, 0, 5000, "Islands as long as this have two."),
        choice("school", "hold", {{"bridges", "each island"}, {"mesh", "all by a mesh"}},
               "A mesh of bridges runs through every opening."),
        only({{"school", {"mesh"}}}, length("mesh", "mesh every", 12, 0.5, 5000)),
        only({{"school", {"mesh"}}}, degrees("mesh-angle", "turned", 45)),
        {"set", "set by hand", ValueType::spots, std::vector<double>{}, 0, 1, {}, "Bridges where you want them."},
        {"none", "left out", ValueType::spots, std::vector<double>{}, 0, 1, {}, "Places without a bridge."},
        lines()}});
  const ValueSpec::Condition hem{"edge", {"turned", "reverse"}}, flat{"edge", {"raw", "fused"}};
  k.push_back(
      {"applique",
       "Applique",
       "Shapes of fabric: what is turned under, and what runs under their neighbours.",
       "Fabric",
       {choice("edge", "edge", {{"raw", "raw"}, {"turned", "turned under"}, {"fused", "fused"}, {"reverse", "reverse"}},
               "Raw and fused are cut on the line and stitched over; reverse is an opening in the fabric on top."),
        only({hem}, length("allowance", "allowance", 6, 0.1, 100, "Turned under.")),
        only({{"edge", {"raw", "turned", "fused"}}},
             length("underlap", "underlap", 3, 0, 100, "How far it runs under the pieces above, and only there.")),
        only({{"edge", {"raw", "turned", "fused"}}}, pieces("runs under", "None: every piece above.")),
        only({flat}, zero_is("none", length("satin", "satin stitch", 0, 0, 30,
                                            "Its width, to see whether it covers the edge."))),
        zero_is("none", length("stitch", "line inside", 0, 0, 100, "A drawn line to stitch along.")),
        only({hem}, choice("marks", "clips, notches", {{"none", "none"}, {"score", "scored"}, {"draw", "drawn"}},
                           "Where the allowance must be cut into to lie flat.")),
        only({{"edge", {"fused"}}}, flag("turn-over", "turned over", false,
                                         "Here, for the paper of the web on its back, instead of with the job.")),
        lines()}});
  k.push_back({"move-lines",
               "Move lines",
               "Moves and turns some of the lines, as one copy of many.",
               "Place",
               {length("right", "right", 0, -5000, 5000), length("up", "up", 0, -5000, 5000),
                degrees("turn", "turned", 0), lines()}});
  k.push_back({"stones",
               "Stones and studs",
               "Holes for stones along lines or all over shapes, no two nearer than holds.",
               "Stencil",
               {choice("size", "stones",
                       {{"ss6", "SS 6, 2.0 mm"},
                        {"ss10", "SS 10, 2.8 mm"},
                        {"ss16", "SS 16, 4.0 mm"},
                        {"ss20", "SS 20, 4.8 mm"},
                        {"ss30", "SS 30, 6.4 mm"},
                        {"own", "another size"}},
                       "By common charts; measure yours, makers differ."),
                only({{"size", {"own"}}}, length("across", "across", 4, 0.3, 100)),
                length("clearance", "hole wider by", 0.3, 0, 10, "So that they drop in."),
                length("web", "web between", 0.8, 0, 100, "What stays of the sheet between two holes."),
                choice("where", "set",
                       {{"along", "along the lines"},
                        {"inside", "inside the edge"},
                        {"centre", "along the middle"},
                        {"all", "all over"}}),
                flag("keep", "keep the lines", false), lines()}});
  k.push_back({"fit-shape",
               "Fill a shape",
               "Rows of letters, each as large as the shape of another piece has room for.",
               "Combine",
               {pieces("shape"), choice("way", "rows", {{"straight", "straight"}, {"bent", "bent to the edge"}}),
                length("margin", "margin", 2, 0, 500), length("gap", "between rows", 1.5, 0, 500)}});
  k.push_back(
      {"template",
       "Placement template",
       "Outlines of other pieces to draw, numbered in the order in which they are laid down.",
       "Fabric",
       {pieces("of", "The lowest first."), zero_is("none", length("numbers", "numbers", 6, 0, 100, "Their height."))}});
  k.push_back({"grain-arrow",
               "Grain arrow",
               "An arrow along the grain, to lay the pattern by.",
               "Fabric",
               {zero_is("by size", length("length", "length", 0, 0, 1000)),
                degrees("angle", "off upright", 0, -180, 180), lines()}});
  k.push_back({"paint-layer",
               "Paint layer",
               "The plate of a stencil for one of several paints, with corners that register.",
               "Stencil",
               {pieces("picture", "All of it, in the order of painting."),
                count("layer", "order", 1, 1, 100, "1 is painted first."), color("paint", "paint", "#2f6b4f"),
                choice("under", "under others",
                       {{"filled", "holes filled"}, {"as-drawn", "as drawn"}, {"left-out", "left out"}},
                       "Filled: what later paint covers needs no bridges."),
                only({{"under", {"filled", "as-drawn"}}},
                     length("overlap", "runs under by", 0.5, 0, 20, "So that no gap is seen where paints meet.")),
                length("margin", "bleed margin", 15, 0, 500, "From the picture to the plate's edge."),
                zero_is("none", length("corners", "corner marks", 6, 0, 100,
                                       "Marked through the first plate, met by every later one."))}});
  k.push_back({"erase",
               "Erase",
               "Leaves out every contour that lies wholly within a loop drawn on the bench.",
               "Clean up",
               {{"loop", "loop", ValueType::spots, std::vector<double>{}, -100, 100, {}, {}}, lines()}});
  k.push_back({"split",
               "Cut in two",
               "Parts what is cut along a line drawn on the bench; it is carried on straight to the edges.",
               "Combine",
               {{"along", "line", ValueType::spots, std::vector<double>{}, -100, 100, {}, {}}, lines()}});
  k.push_back(
      {"seams",
       "Seams",
       "Divides what is larger than its sheet into tiles that are joined again when it is made.",
       "Combine",
       {{"seams", "seams", ValueType::spots, std::vector<double>{}, -100, 100, {}, "Both ends of each."},
        // Set by clicking handles, not by a field of its own.
        only({{"joint", {}}}, {"pinned",
                               "pinned",
                               ValueType::spots,
                               std::vector<double>{},
                               -100,
                               100,
                               {},
                               "Middles of those that stay."}),
        choice("joint", "joined",
               {{"butt", "edge to edge"}, {"overlap", "overlapping"}, {"tab", "by tabs"}, {"dovetail", "dovetailed"}},
               "Overlapping: one tile runs on under the other, to be glued. Dovetails hold stiff stock."),
        only({{"joint", {"overlap", "tab", "dovetail"}}},
             length("width", "width", 10, 0.5, 200, "Of the glued strip; the height of tabs.")),
        lines()}});
  return k;
}

}  // namespace

const std::vector<KindSpec>& step_kinds() {
  static const std::vector<KindSpec> kinds = make_step_kinds();
  return kinds;
}

}  // namespace dotlane
