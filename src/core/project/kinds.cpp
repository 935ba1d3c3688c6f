#include "core/project/kinds.hpp"

#include <algorithm>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

ValueSpec length(std::string key, std::string label, double standard, double low = 0, double high = 5000,
                 std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::length, standard, low, high, {}, std::move(help)};
}
ValueSpec area(std::string key, std::string label, double standard, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::area, standard, 0, 1e6, {}, std::move(help)};
}
ValueSpec degrees(std::string key, std::string label, double standard, double low = -360, double high = 360) {
  return {std::move(key), std::move(label), ValueType::degrees, standard, low, high, {}, {}};
}
ValueSpec percent(std::string key, std::string label, double standard, double low, double high) {
  return {std::move(key), std::move(label), ValueType::percent, standard, low, high, {}, {}};
}
ValueSpec count(std::string key, std::string label, double standard, double low, double high, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::count, standard, low, high, {}, std::move(help)};
}
ValueSpec number(std::string key, std::string label, double standard, double low, double high, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::number, standard, low, high, {}, std::move(help)};
}
/// The first word is the standard.
ValueSpec choice(std::string key, std::string label, std::vector<Word> words, std::string help = {}) {
  const std::string first = words.front().word;
  return {std::move(key), std::move(label), ValueType::choice, first, 0, 0, std::move(words), std::move(help)};
}
ValueSpec flag(std::string key, std::string label, bool standard, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::flag, standard, 0, 0, {}, std::move(help)};
}
ValueSpec lines() {
  return {"of", "lines", ValueType::lines, std::string(), 0, 0, {}, "Empty: every line. Else roles or line names."};
}
ValueSpec pieces(std::string label, std::string help = {}) {
  return {"with", std::move(label), ValueType::pieces, std::vector<double>{}, 0, 0, {}, std::move(help)};
}

const std::vector<Word> kCorners{{"round", "round"}, {"mitre", "mitred"}, {"bevel", "bevelled"}};

/// The value means something only while all of these, or all of those choices have their words.
using Conditions = std::vector<ValueSpec::Condition>;
ValueSpec only(Conditions these, ValueSpec v) {
  v.only = {std::move(these)};
  return v;
}
ValueSpec only(Conditions these, Conditions those, ValueSpec v) {
  v.only = {std::move(these), std::move(those)};
  return v;
}

KindSpec repeat_kind() {
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
               {{"line", "as their shapes"}, {"draw", "drawn"}, {"foil", "foiled"}, {"engrave", "engraved"}}),
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
  k.push_back({"bridge",
               "Bridges",
               "Strips that hold the islands of a stencil to the sheet.",
               "Stencil",
               {length("width", "wide", 1.2, 0.1, 50, "Long ones are made wider."),
                choice("per-island", "for each island",
                       {{"auto", "as its size asks"}, {"1", "one"}, {"2", "two"}, {"3", "three"}, {"4", "four"}}),
                choice("way", "run", {{"upright", "upright"}, {"level", "level"}, {"shortest", "the shortest way"}}),
                length("two-from", "two from", 8, 0, 5000, "Islands as long as this have two."), lines()}});
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
        only({flat}, length("satin", "satin stitch", 0, 0, 30, "Its width, to see whether it covers the edge.")),
        length("stitch", "line inside", 0, 0, 100, "A drawn line to stitch along; 0: none."),
        only({hem}, choice("marks", "clips, notches", {{"none", "none"}, {"score", "scored"}, {"draw", "drawn"}},
                           "Where the allowance must be cut into to lie flat.")),
        only({{"edge", {"fused"}}}, flag("turn-over", "turned over", false,
                                         "Here, for the paper of the web on its back, instead of with the job.")),
        lines()}});
  return k;
}

std::vector<KindSpec> make_shape_kinds() {
  auto w = [](double v) { return length("width", "width", v, 0.5, 5000); };
  auto h = [](double v) { return length("height", "height", v, 0.5, 5000); };
  std::vector<KindSpec> k;
  k.push_back({"rectangle",
               "Rectangle",
               "Four straight sides.",
               "Plain",
               {w(80), h(50), length("radius", "corner radius", 0, 0, 2500)}});
  k.push_back({"ellipse", "Ellipse", "A circle where both sizes are equal.", "Plain", {w(60), h(60)}});
  k.push_back({"polygon",
               "Polygon",
               "Equal sides on a circle.",
               "Plain",
               {count("sides", "sides", 6, 3, 200), length("across", "across", 60, 0.5, 5000)}});
  k.push_back({"star",
               "Star",
               "Points on a circle, notches on a smaller one.",
               "Plain",
               {count("points", "points", 5, 2, 200), length("across", "across", 60, 0.5, 5000),
                percent("notch", "notch", 45, 1, 99)}});
  k.push_back({"heart",
               "Heart",
               "Two round shoulders and a point.",
               "Plain",
               {w(60), h(56), percent("dip", "dip", 18, 0, 45)}});
  k.push_back({"leaf",
               "Leaf",
               "Two arcs meeting in points, with or without a vein.",
               "Plain",
               {w(24), h(60), flag("vein", "vein to score", false)}});
  k.push_back({"ring",
               "Ring",
               "A disc with a round hole.",
               "Plain",
               {length("outer", "outside", 60, 0.5, 5000), length("inner", "inside", 40, 0.1, 5000)}});
  k.push_back({"arc",
               "Arc",
               "Part of a circle, open.",
               "Plain",
               {length("radius", "radius", 40, 0.5, 5000), degrees("from", "from", 0),
                degrees("sweep", "sweep", 180, 1, 360)}});
  k.push_back({"line",
               "Line",
               "One straight line.",
               "Plain",
               {length("length", "length", 80, 0.1, 5000), degrees("angle", "angle", 0)}});
  k.push_back({"wave",
               "Wave",
               "An even wave.",
               "Plain",
               {w(120), length("rise", "rise", 8, 0.1, 1000), count("waves", "waves", 5, 1, 500)}});
  k.push_back({"scallop",
               "Scalloped border",
               "A frame of even half rounds.",
               "Plain",
               {w(100), h(60), length("bump", "bump", 8, 0.5, 500),
                choice("bulge", "bulging", {{"out", "outward"}, {"in", "inward"}})}});
  k.push_back(
      {"folding-card",
       "Folding card",
       "Blank and fold from the finished size.",
       "Made up",
       {w(105), h(148), choice("folds", "folds", {{"one", "one, side by side"}, {"two", "two, three panels"}}),
        choice("opens", "opens", {{"side", "sideways"}, {"up", "upward"}}),
        choice("fold", "fold", {{"score", "scored"}, {"perforate", "perforated"}, {"mark", "marked at the ends"}}),
        length("past", "run past the edge", 0, 0, 20), length("radius", "corner radius", 0, 0, 500),
        length("dash", "dash", 2, 0.3, 50), length("gap", "gap", 1.5, 0.3, 50)}});
  k.push_back(
      {"shaped-card",
       "Shaped card",
       "A silhouette joined to its reflection along the fold.",
       "Made up",
       {choice("outline", "outline",
               {{"heart", "heart"}, {"leaf", "leaf"}, {"ellipse", "ellipse"}, {"star", "star"}, {"label", "label"}}),
        w(90), h(90), length("overlap", "joined over", 8, 0, 500, "How deep the silhouette reaches past the fold."),
        choice("fold", "fold", {{"score", "scored"}, {"perforate", "perforated"}, {"mark", "marked at the ends"}}),
        length("past", "run past the edge", 0, 0, 20), length("dash", "dash", 2, 0.3, 50),
        length("gap", "gap", 1.5, 0.3, 50)}});
  k.push_back({"label",
               "Label",
               "A plate with bitten corners and bumps on its sides.",
               "Made up",
               {w(90), h(50), length("bite", "corner bite", 8, 0, 500), length("bump", "side bump", 6, 0, 500),
                length("border", "drawn border inside", 0, 0, 500)}});
  k.push_back({"tag",
               "Tag",
               "Cut corners at one end and a punched hole.",
               "Made up",
               {w(50), h(90), length("corner", "cut corner", 14, 0, 500), length("hole", "hole", 5, 0, 100),
                length("hole-from-end", "hole from the end", 12, 0, 500)}});
  k.push_back({"badge",
               "Pin badge",
               "The cut disc and the face that stays visible.",
               "Made up",
               {choice("size", "visible / cut",
                       {{"37", "37 / 49 mm"}, {"25", "25 / 35 mm"}, {"58", "58 / 70 mm"}, {"own", "my own"}}),
                length("visible", "visible", 37, 1, 500), length("cut", "cut", 49, 1, 500),
                length("margin", "keep text clear of the rim", 2, 0, 100)}});
  k.push_back({"envelope",
               "Envelope",
               "A one-piece envelope for a card.",
               "Made up",
               {length("card-width", "card width", 148, 10, 2000), length("card-height", "card height", 105, 10, 2000),
                length("room", "room around the card", 3, 0, 50), length("flap", "side flaps", 18, 3, 500)}});
  k.push_back({"box",
               "Box",
               "A tray box with glue tabs, or with a lid.",
               "Made up",
               {length("length", "length", 80, 5, 2000), w(60), length("depth", "depth", 30, 2, 2000),
                length("tab", "glue tab", 10, 2, 200),
                choice("piece", "piece", {{"tray", "tray"}, {"lid", "lid, a little larger"}}),
                length("play", "lid larger by", 0.8, 0, 10)}});
  k.push_back(
      {"pieces", "From other pieces", "The outline of other pieces; its first step says which.", "Made up", {}});
  auto with_colors = [](ValueSpec v, const char* word) {
    v.only = {{{"colors", {word}}}};
    return v;
  };
  k.push_back(
      {"picture",
       "Traced picture",
       "Outlines of a picture.",
       "Traced",
       {length("width", "width", 80, 1, 5000),
        choice("colors", "colours", {{"two", "dark on light"}, {"several", "several colours"}}),
        with_colors(percent("threshold", "dark below", 50, 0, 100), "two"),
        with_colors(flag("invert", "invert", false), "two"), with_colors(count("layers", "count", 4, 2, 16), "several"),
        with_colors(choice("meet", "layers", {{"stack", "stacked"}, {"abut", "side by side"}}), "several"),
        count("despeckle", "despeckle (px)", 4, 0, 100000), number("smoothing", "smoothing", 1, 0, 1.3),
        percent("crop-left", "crop left", 0, 0, 95), percent("crop-top", "crop top", 0, 0, 95),
        percent("crop-right", "crop right", 0, 0, 95), percent("crop-bottom", "crop bottom", 0, 0, 95)}});
  auto text = [](std::string key, std::string label, std::string standard, double longest, std::string help) {
    return ValueSpec{std::move(key), std::move(label), ValueType::text, std::move(standard), 0, longest, {},
                     std::move(help)};
  };
  k.push_back(
      {"lettering",
       "Lettering",
       "Words in a typeface, set, sized and bent.",
       "Words",
       {text("text", "words", "Lantern", 10000, ""),
        text("font", "typeface", "Dancing Script Bold", 1000, "A name, or the path of a font file."),
        choice("size-by", "sized by",
               {{"cap-height", "capitals"}, {"line-height", "line to line"}, {"width", "whole width"}}),
        length("size", "size", 20, 0.2, 3000),
        length("tracking", "letter spacing", 0, -500, 500, "Added after every letter."),
        flag("kerning", "kerning", true, "The spacing of pairs that the typeface asks for."),
        percent("word-space", "word spaces", 100, 0, 1000),
        percent("line-space", "line spacing", 100, 10, 1000),
        choice("align", "aligned",
               {{"left", "left"}, {"centre", "centred"}, {"right", "right"}, {"spread", "spread out"}}),
        degrees("slant", "slant", 0, -60, 60),
        percent("stretch", "letter width", 100, 10, 1000),
        choice("way", "set on",
               {{"line", "a straight line"}, {"outside", "a circle, heads out"}, {"inside", "a circle, heads in"}}),
        length("radius", "radius", 60, 1, 5000),
        degrees("from", "turned by", 0),
        choice("strokes", "drawn as", {{"outline", "outlines"}, {"centre", "middle lines, approx."}}),
        text("features", "features", "", 1000, "OpenType features: swsh, -liga, ss01[0:3]."),
        text("axes", "axes", "", 1000, "Of a variable typeface: wght=600."),
        text("letterforms", "letterforms", "", 10000, "Chosen forms by character: 4=a.swash."),
        {"letters",
         "single letters",
         ValueType::letters,
         std::vector<double>{},
         0,
         0,
         {},
         "Rows of six: character, space before, right, down, turn, percent."}}});
  for (auto& v : k.back().values) {
    if (v.key == "radius" || v.key == "from") v.only = {{{"way", {"outside", "inside"}}}};
  }
  return k;
}

}  // namespace

const ValueSpec* KindSpec::find(const std::string& key) const {
  const auto found = std::find_if(values.begin(), values.end(), [&](const ValueSpec& v) { return v.key == key; });
  return found == values.end() ? nullptr : &*found;
}

const std::vector<KindSpec>& step_kinds() {
  static const std::vector<KindSpec> kinds = make_step_kinds();
  return kinds;
}

const std::vector<KindSpec>& shape_kinds() {
  static const std::vector<KindSpec> kinds = make_shape_kinds();
  return kinds;
}

const KindSpec* find_kind(const std::vector<KindSpec>& kinds, const std::string& kind) {
  const auto found = std::find_if(kinds.begin(), kinds.end(), [&](const KindSpec& k) { return k.kind == kind; });
  return found == kinds.end() ? nullptr : &*found;
}

const Value& Reading::value(const std::string& key) const {
  static const Value nothing = 0.0;
  if (const auto given = values_.find(key); given != values_.end()) return given->second;
  const ValueSpec* spec = spec_.find(key);
  return spec ? spec->standard : nothing;
}

double Reading::number(const std::string& key) const {
  const auto* v = std::get_if<double>(&value(key));
  return v ? *v : 0;
}
bool Reading::flag(const std::string& key) const {
  const auto* v = std::get_if<bool>(&value(key));
  return v && *v;
}
std::string Reading::text(const std::string& key) const {
  const auto* v = std::get_if<std::string>(&value(key));
  return v ? *v : std::string();
}
std::vector<double> Reading::list(const std::string& key) const {
  const auto* v = std::get_if<std::vector<double>>(&value(key));
  return v ? *v : std::vector<double>{};
}

bool applies(const ValueSpec& spec, const Reading& others) {
  const auto holds = [&](const ValueSpec::Condition& condition) {
    const auto& [key, words] = condition;
    return std::find(words.begin(), words.end(), others.text(key)) != words.end();
  };
  return spec.only.empty() || std::any_of(spec.only.begin(), spec.only.end(),
                                          [&](const auto& all) { return std::all_of(all.begin(), all.end(), holds); });
}

Result<void> accepts(const ValueSpec& spec, const Value& value) {
  auto bad = [&](const std::string& expected) {
    return fail(ErrorKind::bad_request, expected + " is expected", spec.key);
  };
  switch (spec.type) {
    case ValueType::flag:
      if (!std::holds_alternative<bool>(value)) return bad("true or false");
      break;
    case ValueType::choice: {
      const auto* text = std::get_if<std::string>(&value);
      std::string words;
      for (const auto& w : spec.words) {
        if (text && w.word == *text) return {};
        words += (words.empty() ? "" : ", ") + w.word;
      }
      return bad("one of " + words);
    }
    case ValueType::text:
    case ValueType::lines: {
      const auto* text = std::get_if<std::string>(&value);
      if (!text) return bad("text");
      if (spec.high > 0 && static_cast<double>(text->size()) > spec.high)
        return bad("text of up to " + rounded_text(spec.high, 0) + " bytes");
      break;
    }
    case ValueType::pieces:
    case ValueType::spots:
    case ValueType::letters: {
      const auto* list = std::get_if<std::vector<double>>(&value);
      if (!list) return bad("a list of numbers");
      for (const double v : *list) {
        if (!std::isfinite(v)) return bad("a list of numbers");
        if (spec.type == ValueType::pieces && (v != std::floor(v) || v < 1 || v > 1e9))
          return bad("a list of piece ids");
      }
      if (spec.type == ValueType::letters && list->size() % kLetterColumns != 0) return bad("rows of six numbers");
      if (spec.type == ValueType::letters &&
          std::any_of(list->begin(), list->end(), [](double v) { return std::abs(v) > 1e5; }))
        return bad("numbers within 100,000");
      if (spec.type == ValueType::spots && list->size() % 2 != 0) return bad("a list of x y pairs");
      break;
    }
    default: {
      const auto* number = std::get_if<double>(&value);
      if (!number || !(*number >= spec.low && *number <= spec.high)) {
        return bad("a number from " + rounded_text(spec.low, 3) + " to " + rounded_text(spec.high, 3));
      }
      if (spec.type == ValueType::count && *number != std::floor(*number)) return bad("a whole number");
    }
  }
  return {};
}

std::vector<int> inputs_of(const Step& step) {
  std::vector<int> out;
  const auto found = step.values.find("with");
  if (found == step.values.end()) return out;
  if (const auto* list = std::get_if<std::vector<double>>(&found->second)) {
    for (const double id : *list) out.push_back(static_cast<int>(id));
  }
  return out;
}

}  // namespace dotlane
