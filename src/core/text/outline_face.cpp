#include "core/text/outline_face.hpp"

#include <ft2build.h>
#include FT_FREETYPE_H
#include FT_MULTIPLE_MASTERS_H
#include FT_OUTLINE_H
#include FT_TRUETYPE_TABLES_H
#include <hb-ot.h>
#include <hb.h>

#include <algorithm>
#include <mutex>
#include <optional>
#include <set>
#include <unordered_map>

namespace dotlane {
namespace {

/// FreeType's library object and whatever must not run beside it: opening and closing faces.
struct FreeType {
  FT_Library library = nullptr;
  std::mutex mutex;
  FreeType() { FT_Init_FreeType(&library); }
};
FreeType& free_type() {
  static auto* one = new FreeType;  // outlives every face, also those that statics hold
  return *one;
}

template <class T, void (*destroy)(T*)>
struct Destroy {
  void operator()(T* p) const { destroy(p); }
};
template <class T, void (*destroy)(T*)>
using Held = std::unique_ptr<T, Destroy<T, destroy>>;

std::string text_of(hb_tag_t tag) {
  char text[5] = {};
  hb_tag_to_string(tag, text);
  std::string out(text, 4);
  while (!out.empty() && out.back() == ' ') out.pop_back();
  return out;
}

/// A form's outline as FreeType hands it out, in units of the em times 64.
class Outline {
 public:
  explicit Outline(double unit) : unit_(unit) {}
  Path read(FT_Outline& outline) {
    FT_Outline_Funcs functions{};
    functions.move_to = [](const FT_Vector* to, void* self) { return static_cast<Outline*>(self)->move(*to); };
    functions.line_to = [](const FT_Vector* to, void* self) { return static_cast<Outline*>(self)->line(*to); };
    functions.conic_to = [](const FT_Vector* c, const FT_Vector* to, void* self) {
      return static_cast<Outline*>(self)->conic(*c, *to);
    };
    functions.cubic_to = [](const FT_Vector* c1, const FT_Vector* c2, const FT_Vector* to, void* self) {
      return static_cast<Outline*>(self)->cubic(*c1, *c2, *to);
    };
    const bool whole = FT_Outline_Decompose(&outline, &functions, this) == 0;
    close();
    return whole ? std::move(path_) : Path{};
  }

 private:
  [[nodiscard]] Vec at(const FT_Vector& v) const {
    return {static_cast<double>(v.x) * unit_, -static_cast<double>(v.y) * unit_};
  }
  void close() {
    if (!open_) return;
    open_ = false;
    auto& c = path_.contours.back();
    if (!(at_ == c.start)) c.segments.push_back(Segment::line(c.start));
    c.closed = true;
    if (c.segments.size() < 2) path_.contours.pop_back();  // a stray point
  }
  int move(const FT_Vector& to) {
    close();
    path_.contours.push_back({at(to), {}, false});
    at_ = at(to);
    open_ = true;
    return 0;
  }
  int add(const Segment& s) {
    if (!open_) return 1;
    if (s.straight && s.end == at_) return 0;
    path_.contours.back().segments.push_back(s);
    at_ = s.end;
    return 0;
  }
  int line(const FT_Vector& to) { return add(Segment::line(at(to))); }
  int conic(const FT_Vector& c, const FT_Vector& to) {
    const Vec m = at(c), e = at(to);
    return add(Segment::cubic(at_ + (m - at_) * (2.0 / 3), e + (m - e) * (2.0 / 3), e));
  }
  int cubic(const FT_Vector& c1, const FT_Vector& c2, const FT_Vector& to) {
    return add(Segment::cubic(at(c1), at(c2), at(to)));
  }
  double unit_;
  Path path_;
  Vec at_;
  bool open_ = false;
};

class OutlineFace final : public Face {
 public:
  OutlineFace(std::string bytes, int index, const AxisValues& axes) : bytes_(std::move(bytes)) {
    open(index, axes);
    if (!fault_) describe();
  }
  ~OutlineFace() override {
    const std::lock_guard lock(free_type().mutex);
    if (ft_) FT_Done_Face(ft_);
  }
  OutlineFace(const OutlineFace&) = delete;
  OutlineFace& operator=(const OutlineFace&) = delete;
  /// Why it cannot be used; nothing when it can.
  [[nodiscard]] const std::optional<Said>& fault() const { return fault_; }

  [[nodiscard]] const Glyph& glyph(unsigned id) const override {
    static const Glyph none;
    const std::lock_guard lock(mutex_);
    if (const auto known = glyphs_.find(id); known != glyphs_.end()) return *known->second;
    if (id >= about_.glyphs) return none;
    auto made = std::make_unique<Glyph>();
    made->advance = hb_font_get_glyph_h_advance(font_.get(), id) / upem_;
    made->broken = FT_Load_Glyph(ft_, id, FT_LOAD_NO_HINTING | FT_LOAD_NO_BITMAP | FT_LOAD_NO_AUTOHINT) != 0 ||
                   ft_->glyph->format != FT_GLYPH_FORMAT_OUTLINE;
    if (!made->broken) made->path = Outline(1 / (64.0 * upem_)).read(ft_->glyph->outline);
    return *(glyphs_[id] = std::move(made));
  }
  [[nodiscard]] std::string glyph_name(unsigned id) const override {
    char name[128] = {};
    hb_font_glyph_to_string(font_.get(), id, name, sizeof name);
    return name;
  }
  [[nodiscard]] std::optional<unsigned> glyph_named(const std::string& name) const override {
    hb_codepoint_t id = 0;
    if (!hb_font_glyph_from_string(font_.get(), name.c_str(), static_cast<int>(name.size()), &id) ||
        id >= about_.glyphs)
      return std::nullopt;
    return id;
  }
  [[nodiscard]] std::optional<unsigned> glyph_for(char32_t c) const override {
    hb_codepoint_t id = 0;
    if (!hb_font_get_nominal_glyph(font_.get(), c, &id) || id == 0) return std::nullopt;
    return id;
  }
  [[nodiscard]] std::vector<std::pair<char32_t, unsigned>> characters() const override {
    const Held<hb_set_t, hb_set_destroy> all(hb_set_create());
    hb_face_collect_unicodes(face_.get(), all.get());
    std::vector<std::pair<char32_t, unsigned>> out;
    for (hb_codepoint_t c = HB_SET_VALUE_INVALID; hb_set_next(all.get(), &c);) {
      if (const auto id = glyph_for(c)) out.emplace_back(c, *id);
    }
    return out;
  }
  [[nodiscard]] std::vector<ShapedGlyph> shape(std::u32string_view text, const TextRun& run) const override {
    std::vector<hb_feature_t> features;
    if (!run.kerning) features.push_back({HB_TAG('k', 'e', 'r', 'n'), 0, 0, HB_FEATURE_GLOBAL_END});
    for (const auto& f : run.features) {
      hb_feature_t parsed;
      if (hb_feature_from_string(f.c_str(), static_cast<int>(f.size()), &parsed)) features.push_back(parsed);
    }
    const Held<hb_buffer_t, hb_buffer_destroy> buffer(hb_buffer_create());
    // The whole text is context: joining scripts look at their neighbours.
    hb_buffer_add_utf32(buffer.get(), reinterpret_cast<const std::uint32_t*>(text.data()),
                        static_cast<int>(text.size()), static_cast<unsigned>(run.first),
                        static_cast<int>(run.last - run.first));
    hb_buffer_set_direction(buffer.get(), run.right_to_left ? HB_DIRECTION_RTL : HB_DIRECTION_LTR);
    if (run.script != 0) hb_buffer_set_script(buffer.get(), static_cast<hb_script_t>(run.script));
    hb_buffer_guess_segment_properties(buffer.get());
    hb_shape(font_.get(), buffer.get(), features.data(), static_cast<unsigned>(features.size()));
    unsigned n = 0;
    const hb_glyph_info_t* info = hb_buffer_get_glyph_infos(buffer.get(), &n);
    const hb_glyph_position_t* at = hb_buffer_get_glyph_positions(buffer.get(), &n);
    std::vector<ShapedGlyph> out;
    out.reserve(n);
    for (unsigned i = 0; i < n; ++i)
      out.push_back({info[i].codepoint,
                     info[i].cluster,
                     {at[i].x_offset / upem_, -at[i].y_offset / upem_},
                     at[i].x_advance / upem_});
    return out;
  }

 private:
  void open(int index, const AxisValues& axes) {
    const Held<hb_blob_t, hb_blob_destroy> blob(
        hb_blob_create(bytes_.data(), static_cast<unsigned>(bytes_.size()), HB_MEMORY_MODE_READONLY, nullptr, nullptr));
    {
      const std::lock_guard lock(free_type().mutex);
      const auto* data = reinterpret_cast<const FT_Byte*>(bytes_.data());
      if (FT_New_Memory_Face(free_type().library, data, static_cast<FT_Long>(bytes_.size()), index, &ft_) != 0) {
        ft_ = nullptr;
        fault_ = {"font-not-whole", {{"face", figure(index)}}};
        return;
      }
    }
    if (!FT_IS_SFNT(ft_) || !FT_IS_SCALABLE(ft_)) {
      fault_ = {"font-no-outlines"};
      return;
    }
    face_.reset(hb_face_create(blob.get(), static_cast<unsigned>(index)));
    if (hb_face_get_glyph_count(face_.get()) == 0 || ft_->num_glyphs <= 0 || ft_->units_per_EM < 16) {
      fault_ = {"font-tables"};
      return;
    }
    // At as many pixels per em as the em has units, FreeType's 64ths hold outlines of variable faces without rounding.
    upem_ = ft_->units_per_EM;
    if (FT_Set_Pixel_Sizes(ft_, ft_->units_per_EM, ft_->units_per_EM) != 0) {
      fault_ = {"font-not-scaled"};
      return;
    }
    font_.reset(hb_font_create(face_.get()));
    hb_font_set_scale(font_.get(), ft_->units_per_EM, ft_->units_per_EM);
    set_axes(axes);
    hb_font_make_immutable(font_.get());
  }

  void set_axes(const AxisValues& wanted) {
    unsigned n = std::min(hb_ot_var_get_axis_count(face_.get()), 64u);
    if (n == 0) return;
    std::vector<hb_ot_var_axis_info_t> infos(n);
    hb_ot_var_get_axis_infos(face_.get(), 0, &n, infos.data());
    infos.resize(n);
    std::vector<hb_variation_t> variations;
    std::vector<FT_Fixed> coordinates;
    for (const auto& info : infos) {
      FaceAxis axis{text_of(info.tag), {}, info.min_value, info.default_value, info.max_value};
      char name[64] = {};
      unsigned size = sizeof name;
      hb_ot_name_get_utf8(face_.get(), info.name_id, HB_LANGUAGE_INVALID, &size, name);
      axis.name = name[0] ? name : axis.tag;
      double value = axis.standard;
      if (const auto given = wanted.find(axis.tag); given != wanted.end())
        value = std::clamp(given->second, axis.low, std::max(axis.low, axis.high));
      variations.push_back({info.tag, static_cast<float>(value)});
      coordinates.push_back(static_cast<FT_Fixed>(value * 65536));
      about_.axes.push_back(std::move(axis));
    }
    hb_font_set_variations(font_.get(), variations.data(), static_cast<unsigned>(variations.size()));
    FT_Set_Var_Design_Coordinates(ft_, static_cast<FT_UInt>(coordinates.size()), coordinates.data());
  }

  void describe() {
    about_.glyphs = static_cast<std::size_t>(ft_->num_glyphs);
    about_.name = ft_->family_name ? ft_->family_name : "Unnamed";
    const std::string style = ft_->style_name ? ft_->style_name : "";
    if (!style.empty() && style != "Regular") about_.name += " " + style;
    std::set<std::string> features;
    for (const hb_tag_t table : {HB_OT_TAG_GSUB, HB_OT_TAG_GPOS}) {
      hb_tag_t tags[512];
      unsigned n = 512;
      hb_ot_layout_table_get_feature_tags(face_.get(), table, 0, &n, tags);
      for (unsigned i = 0; i < n; ++i) features.insert(text_of(tags[i]));
    }
    about_.features.assign(features.begin(), features.end());
    hb_font_extents_t extents{};
    if (hb_font_get_h_extents(font_.get(), &extents) && extents.ascender - extents.descender > 0) {
      about_.ascender = extents.ascender / upem_;
      about_.descender = -extents.descender / upem_;
      about_.line_distance = (extents.ascender - extents.descender + extents.line_gap) / upem_;
    }
    hb_position_t cap = 0;
    double top = 0;
    if (const auto h = glyph_for(U'H')) {
      hb_glyph_extents_t box{};
      if (hb_font_get_glyph_extents(font_.get(), *h, &box)) top = box.y_bearing / upem_;
    }
    if (top > 0) {
      about_.cap_height = top;
    } else if (hb_ot_metrics_get_position(font_.get(), HB_OT_METRICS_TAG_CAP_HEIGHT, &cap) && cap > 0) {
      about_.cap_height = cap / upem_;
    }
    if (!(about_.line_distance > 0.01)) about_.line_distance = 1.2;
    constexpr FT_UShort kRestricted = 0x0002, kBitmapsOnly = 0x0200;
    const FT_UShort flags = FT_Get_FSType_Flags(ft_);
    // OS/2 fsType (OpenType specification, OS/2 table): bits 1 to 3 exclude one another, the least strict counts.
    constexpr FT_UShort kPreview = 0x0004, kEditable = 0x0008;
    const bool restricted = (flags & kRestricted) && !(flags & (kPreview | kEditable));
    about_.outlines_allowed = !restricted && !(flags & kBitmapsOnly);
  }

  const std::string bytes_;  // FreeType and HarfBuzz read from here
  FT_Face ft_ = nullptr;
  Held<hb_face_t, hb_face_destroy> face_;
  Held<hb_font_t, hb_font_destroy> font_;
  double upem_ = 1000;
  std::optional<Said> fault_;
  mutable std::mutex mutex_;  // for the FreeType face and the forms read so far
  mutable std::unordered_map<unsigned, std::unique_ptr<const Glyph>> glyphs_;
};

}  // namespace

Result<std::shared_ptr<const Face>> open_outline_face(std::string bytes, int index, const AxisValues& axes,
                                                      const std::string& place) {
  auto face = std::make_shared<const OutlineFace>(std::move(bytes), index, axes);
  if (face->fault()) return fail(ErrorKind::malformed, *face->fault(), place);
  return face;
}

}  // namespace dotlane
