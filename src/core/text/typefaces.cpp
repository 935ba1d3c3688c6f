#include "core/text/typefaces.hpp"

#include <fontconfig/fontconfig.h>

#include <algorithm>
#include <memory>
#include <set>

#include "core/latest.hpp"
#include "core/places.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

struct Shipped {
  const char *name, *file, *summary;
};

// Names as the fonts call themselves; their licences lie beside them.
constexpr Shipped kShipped[] = {
    {"Dancing Script Bold", "DancingScript-Bold.otf", "a lively script whose letters touch"},
    {"Lobster Two Bold Italic", "Lobster.otf", "a heavy script whose letters touch"},
    {"Bebas Neue Bold", "BebasNeue-Bold.otf", "bold capitals"},
    {"Yanone Kaffeesatz", "YanoneKaffeesatz-Regular.otf", "narrow, with other forms of letters"},
    {"Comfortaa Bold", "Comfortaa-Bold.ttf", "round strokes, even width"},
    {"Roboto Slab Bold", "RobotoSlab-Bold.otf", "sturdy, with slab feet"},
    {"EB Garamond 12 Italic", "EBGaramond12-Italic.otf", "a fine italic with swashes"},
    {"Hershey Plain", "futural.jhf", "one stroke, upright"},
    {"Hershey Roman", "rowmans.jhf", "one stroke, drawn a little finer"},
    {"Hershey Script", "scripts.jhf", "one stroke, joined script"},
    {"Hershey Cursive", "cursive.jhf", "one stroke, upright cursive"},
};

constexpr const char* kEndings[] = {".ttf", ".otf", ".ttc", ".otc", ".jhf"};  // of font files

std::string text_of(FcPattern* pattern, const char* key) {
  FcChar8* text = nullptr;
  return FcPatternGetString(pattern, key, 0, &text) == FcResultMatch ? reinterpret_cast<const char*>(text) : "";
}

std::vector<Typeface> of_the_system() {
  std::vector<Typeface> out;
  FcConfig* config = FcInitLoadConfigAndFonts();
  if (!config) return out;
  FcPattern* any = FcPatternCreate();
  FcObjectSet* keys = FcObjectSetBuild(FC_FAMILY, FC_STYLE, FC_FILE, FC_INDEX, FC_OUTLINE, FC_FONTFORMAT, nullptr);
  FcFontSet* all = FcFontList(config, any, keys);
  std::set<std::string> names;
  for (int i = 0; all && i < all->nfont; ++i) {
    FcPattern* p = all->fonts[i];
    FcBool outline = FcFalse;
    int index = 0;
    FcPatternGetBool(p, FC_OUTLINE, 0, &outline);
    FcPatternGetInteger(p, FC_INDEX, 0, &index);
    const std::string format = text_of(p, FC_FONTFORMAT);
    // The upper half of the index names an instance of a variable face; those are reached by its axes.
    if (!outline || (format != "TrueType" && format != "CFF") || index >= 1 << 16) continue;
    Typeface face;
    face.name = text_of(p, FC_FAMILY);
    const std::string style = text_of(p, FC_STYLE);
    if (!style.empty() && style != "Regular") face.name += " " + style;
    face.file = text_of(p, FC_FILE);
    face.index = index;
    if (names.insert(face.name).second) out.push_back(std::move(face));
  }
  if (all) FcFontSetDestroy(all);
  FcObjectSetDestroy(keys);
  FcPatternDestroy(any);
  FcConfigDestroy(config);
  std::sort(out.begin(), out.end(), [](const Typeface& a, const Typeface& b) { return a.name < b.name; });
  return out;
}

/// Faces that stay open: as many as a project is likely to use at a time.
class OpenFaces {
 public:
  using Key = std::tuple<std::string, int, AxisValues>;
  Result<std::shared_ptr<const Face>> open(const Key& key) {
    if (auto known = faces_.find(key)) return *known;
    auto face = open_face(std::get<0>(key), std::get<1>(key), std::get<2>(key));
    if (face) faces_.keep(key, *face);
    return face;
  }

 private:
  Latest<Key, std::shared_ptr<const Face>> faces_{32};
};

OpenFaces& open_faces() {
  static OpenFaces all;
  return all;
}

/// The system's fonts and the shipped ones; looked up once.
FcConfig* fonts_to_choose_from() {
  struct Closed {
    void operator()(FcConfig* config) const { FcConfigDestroy(config); }
  };
  static const std::unique_ptr<FcConfig, Closed> config = [] {
    std::unique_ptr<FcConfig, Closed> all(FcInitLoadConfigAndFonts());
    if (all) FcConfigAppFontAddDir(all.get(), reinterpret_cast<const FcChar8*>(typefaces_folder().c_str()));
    return all;
  }();
  return config.get();
}

/// "wght=700,wdth=90" as fontconfig writes the settings of a variable face.
AxisValues axes_of(const std::string& text) {
  AxisValues out;
  for (const auto part : split(text, ',')) {
    const auto equals = part.find('=');
    if (equals == std::string_view::npos) continue;
    if (const auto value = to_number(trimmed(part.substr(equals + 1))))
      out[std::string(trimmed(part.substr(0, equals)))] = *value;
  }
  return out;
}

std::vector<std::string> family_names(const std::string& families) {
  std::vector<std::string> out;
  for (auto name : split(families, ',')) {
    name = trimmed(name);
    while (!name.empty() && (name.front() == '"' || name.front() == '\'')) name.remove_prefix(1);
    while (!name.empty() && (name.back() == '"' || name.back() == '\'')) name.remove_suffix(1);
    if (!name.empty()) out.emplace_back(name);
  }
  return out;
}

bool is_family_of(FcPattern* font, const std::string& family) {
  for (const char* generic : {"sans-serif", "sans", "serif", "monospace", "cursive", "fantasy", "system-ui"}) {
    if (lower_case(family) == generic) return true;
  }
  FcChar8* name = nullptr;
  for (int i = 0; FcPatternGetString(font, FC_FAMILY, i, &name) == FcResultMatch; ++i) {
    if (lower_case(reinterpret_cast<const char*>(name)) == lower_case(family)) return true;
  }
  return false;
}

}  // namespace

std::string typefaces_folder() { return shipped("typefaces"); }

const std::vector<Typeface>& shipped_typefaces() {
  static const std::vector<Typeface> all = [] {
    std::vector<Typeface> out;
    const std::string folder = typefaces_folder() + "/";
    for (const auto& s : kShipped) {
      const std::string file = s.file;
      out.push_back({s.name, s.summary, folder + file, 0, true, file.ends_with(".jhf")});
    }
    return out;
  }();
  return all;
}

const std::vector<Typeface>& typefaces() {
  static const std::vector<Typeface> all = [] {
    std::vector<Typeface> out = shipped_typefaces();
    for (auto& face : of_the_system()) {
      const bool known = std::any_of(out.begin(), out.end(), [&](const Typeface& t) { return t.name == face.name; });
      if (!known) out.push_back(std::move(face));
    }
    return out;
  }();
  return all;
}

const std::string& standard_typeface() {
  static const std::string name = kShipped[0].name;
  return name;
}

Result<std::shared_ptr<const Face>> find_face(const std::string& name, const AxisValues& axes) {
  OpenFaces& open = open_faces();
  auto find = [&](const std::vector<Typeface>& faces) -> const Typeface* {
    const auto found = std::find_if(faces.begin(), faces.end(), [&](const Typeface& t) { return t.name == name; });
    return found == faces.end() ? nullptr : &*found;
  };
  const Typeface* face = find(shipped_typefaces());
  const auto mark = name.rfind('#');
  const std::string path = lower_case(name.substr(0, mark));
  const bool is_file =
      std::any_of(std::begin(kEndings), std::end(kEndings), [&](const char* e) { return path.ends_with(e); });
  if (!face && !is_file) face = find(typefaces());
  if (face) return open.open({face->file, face->index, axes});
  if (!is_file) {
    return fail(ErrorKind::bad_request, {"no-typeface", {{"typeface", name}}});
  }
  const auto index = mark == std::string::npos ? std::nullopt : to_integer(std::string_view(name).substr(mark + 1));
  if (!index || *index < 0 || *index > 0xffff) return open.open({name, 0, axes});
  return open.open({name.substr(0, mark), static_cast<int>(*index), axes});
}

FittingFace fitting_face(const std::string& families, int weight, bool italic, char32_t needed) {
  FittingFace out;
  FcConfig* config = fonts_to_choose_from();
  if (!config) return out;
  const auto names = family_names(families);
  FcPattern* wanted = FcPatternCreate();
  for (const auto& name : names) FcPatternAddString(wanted, FC_FAMILY, reinterpret_cast<const FcChar8*>(name.c_str()));
  const int fc_weight = FcWeightFromOpenType(weight);
  FcPatternAddInteger(wanted, FC_WEIGHT, fc_weight);
  FcPatternAddInteger(wanted, FC_SLANT, italic ? FC_SLANT_ITALIC : FC_SLANT_ROMAN);
  FcPatternAddBool(wanted, FC_OUTLINE, FcTrue);
  if (needed != 0) {
    FcCharSet* characters = FcCharSetCreate();
    FcCharSetAddChar(characters, needed);
    FcPatternAddCharSet(wanted, FC_CHARSET, characters);
    FcCharSetDestroy(characters);
  }
  FcConfigSubstitute(config, wanted, FcMatchPattern);
  FcDefaultSubstitute(wanted);
  FcResult result = FcResultNoMatch;
  if (FcPattern* font = FcFontMatch(config, wanted, &result)) {
    int index = 0, slant = FC_SLANT_ROMAN;
    double heavy = fc_weight;
    FcPatternGetInteger(font, FC_INDEX, 0, &index);
    FcPatternGetInteger(font, FC_SLANT, 0, &slant);
    FcPatternGetDouble(font, FC_WEIGHT, 0, &heavy);
    // A slant or weight that fontconfig would have made up by leaning or thickening is none that the face has.
    FcMatrix* leaning = nullptr;
    FcBool thickened = FcFalse;
    const bool made_up = (FcPatternGetMatrix(font, FC_MATRIX, 0, &leaning) == FcResultMatch && leaning->xy != 0) ||
                         (FcPatternGetBool(font, FC_EMBOLDEN, 0, &thickened) == FcResultMatch && thickened);
    constexpr double kNear = 30;  // of fontconfig's weights: regular is 80, bold 200
    if (!names.empty()) out.asked = names.front() + (weight >= 600 ? " Bold" : "") + (italic ? " Italic" : "");
    out.as_asked = (names.empty() || is_family_of(font, names.front())) && std::abs(heavy - fc_weight) < kNear &&
                   (slant != FC_SLANT_ROMAN) == italic && !made_up;
    const AxisValues axes = axes_of(text_of(font, FC_FONT_VARIATIONS));
    if (auto face = open_faces().open({text_of(font, FC_FILE), index & 0xffff, axes})) out.face = std::move(*face);
    FcPatternDestroy(font);
  }
  FcPatternDestroy(wanted);
  return out;
}

}  // namespace dotlane
