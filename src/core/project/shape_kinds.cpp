// The table of ready shapes, pictures and lettering.
#include "core/project/kind_values.hpp"

namespace dotlane {
namespace {

std::vector<KindSpec> make_shape_kinds() {
  using namespace kind_values;
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
                length("visible", "visible", 37, 1, 500), length("cut", "cut disc", 49, 1, 500),
                length("margin", "keep text clear of the rim", 2, 0, 100)}});
  k.push_back(
      {"blank",
       "Blank",
       "What you design on, as guides with a safe margin: nothing of it is run.",
       "Made up",
       {choice("form", "form",
               {{"disc", "disc"}, {"tile", "square tile"}, {"tag", "tag with a hole"}, {"wrap", "wrap for a glass"}}),
        only({{"form", {"disc", "tile"}}}, length("across", "across", 90, 1, 5000)), only({{"form", {"tag"}}}, w(50)),
        only({{"form", {"tag"}}}, h(90)), only({{"form", {"tag"}}}, length("hole", "hole", 5, 0, 100)),
        only({{"form", {"tag"}}}, length("hole-from-end", "hole from the end", 10, 0, 500)),
        only({{"form", {"tile", "tag"}}}, length("radius", "corner radius", 3, 0, 2500)),
        only({{"form", {"wrap"}}}, length("top", "across at the top", 80, 1, 2000, "Measured outside.")),
        only({{"form", {"wrap"}}}, length("bottom", "across at the bottom", 60, 1, 2000)),
        only({{"form", {"wrap"}}}, length("tall", "tall", 100, 1, 2000, "Upright, from the bottom to the top.")),
        only({{"form", {"wrap"}}}, length("overlap", "overlap", 6, 0, 500, "To glue its ends.")),
        length("margin", "safe margin", 3, 0, 500)}});
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
  k.push_back({"pieced",
               "Pieced unit",
               "Patches of fabric with their seams, to be sewn to a block of a finished size.",
               "Made up",
               {choice("unit", "unit",
                       {{"half-square", "half squares"},
                        {"quarter-square", "quarter squares"},
                        {"geese", "a large and two small triangles"},
                        {"square-in-square", "a square in a square"}}),
                length("size", "finished width", 76.2, 1, 2000),
                length("seam", "seam allowance", 6.35, 0, 100, "A quarter of an inch is usual for piecing."),
                flag("seams", "seams drawn", true)}});
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
        flag("print", "print the picture", false, "As it is, where its lines lie; these are for cutting then."),
        choice("colors", "colours",
               {{"two", "dark on light"}, {"several", "several colours"}, {"given", "these colours"}}),
        with_colors(percent("threshold", "dark below", 50, 0, 100), "two"),
        with_colors(flag("invert", "invert", false), "two"), with_colors(count("layers", "count", 4, 2, 16), "several"),
        only({{"colors", {"given"}}},
             ValueSpec{"palette", "these", ValueType::text, std::string(), 0, 1000, {}, "Such as #c7802a #1f6f78."}),
        only({{"colors", {"several", "given"}}},
             choice("meet", "layers", {{"stack", "stacked"}, {"abut", "side by side"}})),
        only({{"colors", {"several", "given"}}},
             length("narrowest", "no part narrower", 0.4, 0, 50, "Such parts are given to what surrounds them.")),
        only({{"colors", {"several", "given"}}},
             flag("no-background", "without background", false, "What reaches the picture's edge and has its colour.")),
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

const std::vector<KindSpec>& shape_kinds() {
  static const std::vector<KindSpec> kinds = make_shape_kinds();
  return kinds;
}

}  // namespace dotlane
