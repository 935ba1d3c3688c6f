#include "core/format/svg_reader.hpp"

#include <algorithm>
#include <array>
#include <map>
#include <optional>
#include <unordered_set>
#include <utility>

#include "core/format/svg_clip.hpp"
#include "core/format/svg_shapes.hpp"
#include "core/format/svg_text.hpp"
#include "core/format/svg_units.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/bounds.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

class Reader {
 public:
  Reader(std::string_view bytes, const std::string& file, const ReadOptions& options)
      : options_(options), document_(bytes, file, options) {}

  Artwork read() {
    read_root(document_.root());
    finish_notes();
    return std::move(art_);
  }

 private:
  const ReadOptions& options_;
  SvgDocument document_;
  std::vector<pugi::xml_node> uses_;  // the polyline of elements that are being instantiated
  std::size_t instances_ = 0, segments_ = 0;
  std::unordered_set<std::string> used_ids_;
  std::map<std::string, int> kinds_;
  std::vector<std::string> texts_;
  std::string asked_, used_;  // the first typeface that another stands in for
  int stand_ins_ = 0;
  int images_ = 0, hidden_ = 0, dots_ = 0, masks_ = 0, foreign_ = 0, cut_ = 0, clipped_away_ = 0;
  std::vector<LineRef> unpainted_;
  std::map<std::string, std::pair<Affine, Region>>
      clips_;  // by their ids: where they were last read, and what they show
  SvgAmiss left_out_, lost_, outside_, endless_;
  Artwork art_;
  std::vector<ArtLine>* lines_ = &art_.lines;  // where what is drawn goes; shapes of a clip path go elsewhere

  // --- the tree --------------------------------------------------------------------------------------------------

  struct Context {
    Affine to_mm;
    SvgStyle style;
    SvgViewport viewport;
    std::string layer;      // labels so far
    std::string outermost;  // id of the outermost group, for drawings without labels
  };

  static std::string label_of(pugi::xml_node node) {
    for (const auto a : node.attributes()) {
      const std::string_view name = a.name();
      if (name.ends_with(":label") || name == "aria-label" || name == "data-name") return a.value();
    }
    if (const auto title = node.child("title")) return std::string(trimmed(title.child_value()));
    return {};
  }

  static bool is_group(std::string_view name) {
    static const std::unordered_set<std::string_view> groups{"g", "a", "svg", "use", "switch"};
    return groups.contains(name);
  }
  static bool is_shape(std::string_view name) {
    static const std::unordered_set<std::string_view> shapes{"path", "rect",     "circle", "ellipse",
                                                             "line", "polyline", "polygon"};
    return shapes.contains(name);
  }

  void read_root(pugi::xml_node root) {
    const auto box = document_.view_box(root);
    auto stated = [&](const char* attribute) -> std::optional<SvgLength> {
      const auto a = root.attribute(attribute);
      if (!a || trimmed(a.value()) == "auto") return std::nullopt;
      const auto v = parse_svg_length(a.value());
      if (!v || v->value <= 0) {
        document_.amiss(document_.ignored, root, attribute);
        return std::nullopt;
      }
      if (!px_per(v->unit)) return std::nullopt;  // percent and font units say nothing about paper
      return v;
    };
    const auto w = stated("width"), h = stated("height");
    const bool physical = (w && is_physical(w->unit)) || (h && is_physical(h->unit));
    art_.unit_source = physical ? UnitSource::stated : UnitSource::assumed;

    SvgViewport viewport{w ? w->value * *px_per(w->unit) : 0, h ? h->value * *px_per(h->unit) : 0};
    const bool sized = w || h || box;
    if (!w) viewport.w = box ? (h ? viewport.h * box->width() / box->height() : box->width()) : viewport.h;
    if (!h) viewport.h = box ? viewport.w * box->height() / box->width() : viewport.w;

    const double mm_per_px = 25.4 / (physical ? kPxPerInch : options_.assumed_per_inch);
    Context context;
    context.viewport = box ? SvgViewport{box->width(), box->height()} : viewport;
    context.to_mm = Affine::scale(mm_per_px, mm_per_px);
    double units_per_px = 1;
    if (box) {
      const auto map = fit_view_box(*box, viewport.w, viewport.h, root.attribute("preserveAspectRatio").value());
      units_per_px = 1 / map.a;
      context.to_mm = context.to_mm * map;
    }
    art_.per_inch = physical ? units_per_px * kPxPerInch : options_.assumed_per_inch;
    context.style = document_.style_of(root, {});
    if (!context.style.displayed) ++hidden_;
    if (context.style.displayed) {
      children(root, context, 0);
      if (!context.style.clip.empty()) clip(root, context.style.clip, context.to_mm, context.viewport, 0, 0);
    }

    if (sized) {
      art_.width_mm = viewport.w * mm_per_px, art_.height_mm = viewport.h * mm_per_px;
    }
    if (!sized || (!box && !(w && h))) {
      Box bounds;
      for (const auto& line : art_.lines) bounds.add(bounds_of(line.path));
      if (!w) art_.width_mm = bounds.width();
      if (!h) art_.height_mm = bounds.height();
    }
  }

  void children(pugi::xml_node parent, const Context& context, int depth) {
    for (const auto child : parent.children()) {
      if (child.type() == pugi::node_element) visit(child, context, depth + 1);
    }
  }

  void check_depth(pugi::xml_node node, int depth) const {
    if (depth > options_.max_depth)
      document_.refuse(ErrorKind::unsupported, {"svg-reused-deep", {{"levels", figure(options_.max_depth)}}},
                       document_.line_of(node));
  }

  void visit(pugi::xml_node node, const Context& outer, int depth) {
    check_depth(node, depth);
    if (!uses_.empty() && ++instances_ > options_.max_instances) {
      document_.refuse(ErrorKind::unsupported, {"svg-many-copies", {{"most", figure(options_.max_instances)}}},
                       document_.line_of(node));
    }
    const auto name = document_.element_name(node);
    const bool shape = is_shape(name);
    if (!is_group(name) && !shape && name != "text" && name != "flowRoot" && name != "image" && name != "foreignObject")
      return;

    Context context = outer;
    context.style = document_.style_of(node, outer.style);
    if (!context.style.displayed) {
      ++hidden_;
      return;
    }
    context.to_mm = outer.to_mm * document_.transform_of(node);
    if (name == "use") context.to_mm = context.to_mm * place_of(node, context.viewport);
    if (context.style.masked) ++masks_;
    const std::size_t first = lines_->size();
    const Affine space = context.to_mm;
    const std::string clip_id = context.style.clip;
    if (shape) {
      draw(node, name, context);
    } else {
      enter(node, name, context, depth);
    }
    if (!clip_id.empty()) clip(node, clip_id, space, outer.viewport, first, depth);
  }

  /// An element that is no shape.
  void enter(pugi::xml_node node, std::string_view name, Context& context, int depth) {
    if (name == "text") {
      write(node, context);
    } else if (name == "flowRoot") {
      texts_.push_back(svg_words(node));
    } else if (name == "image") {
      ++images_;
    } else if (name == "foreignObject") {
      ++foreign_;
    } else if (name == "use") {
      use(node, context, depth);
    } else if (name == "svg") {
      const SvgViewport size{
          document_.positive(node, "width", context.viewport.w, context.viewport, SvgDocument::Axis::x),
          document_.positive(node, "height", context.viewport.h, context.viewport, SvgDocument::Axis::y)};
      nested_viewport(node, context, size, depth);
    } else if (name == "switch") {
      for (const auto child : node.children()) {
        if (is_group(document_.element_name(child)) || is_shape(document_.element_name(child))) {
          visit(child, context, depth + 1);
          break;
        }
      }
    } else {
      const auto label = label_of(node);
      if (!label.empty()) context.layer += (context.layer.empty() ? "" : " / ") + label;
      if (context.outermost.empty()) context.outermost = node.attribute("id").value();
      children(node, context, depth);
    }
  }

  Affine place_of(pugi::xml_node node, const SvgViewport& viewport) {
    return Affine::move(document_.length(node, "x", 0, viewport, SvgDocument::Axis::x),
                        document_.length(node, "y", 0, viewport, SvgDocument::Axis::y));
  }

  void nested_viewport(pugi::xml_node node, Context& context, SvgViewport size, int depth) {
    if (document_.element_name(node) == "svg") context.to_mm = context.to_mm * place_of(node, context.viewport);
    context.viewport = size;
    if (const auto box = document_.view_box(node)) {
      if (size.w == 0 || size.h == 0) return;  // SVG: nothing is drawn
      context.to_mm = context.to_mm * fit_view_box(*box, size.w, size.h, node.attribute("preserveAspectRatio").value());
      context.viewport = {box->width(), box->height()};
    }
    children(node, context, depth);
  }

  void use(pugi::xml_node node, Context& context, int depth) {
    const auto id = document_.target_id(node);
    const auto target = document_.with_id(id);
    if (id.empty() || !target) {
      const std::string href = document_.href_of(node);
      return document_.amiss(href.empty() || href.starts_with('#') ? lost_ : outside_, node, href);
    }
    bool endless = std::find(uses_.begin(), uses_.end(), target) != uses_.end();
    for (auto up = node; up; up = up.parent()) endless = endless || up == target;
    if (endless) return document_.amiss(endless_, node, "#" + std::string(id));
    if (context.outermost.empty()) context.outermost = node.attribute("id").value();
    uses_.push_back(target);
    const auto kind = document_.element_name(target);
    if (kind == "symbol" || kind == "svg") {
      const SvgViewport size{document_.positive(node, "width",
                                                document_.positive(target, "width", context.viewport.w,
                                                                   context.viewport, SvgDocument::Axis::x),
                                                context.viewport, SvgDocument::Axis::x),
                             document_.positive(node, "height",
                                                document_.positive(target, "height", context.viewport.h,
                                                                   context.viewport, SvgDocument::Axis::y),
                                                context.viewport, SvgDocument::Axis::y)};
      context.style = document_.style_of(target, context.style);
      if (context.style.masked || !context.style.clip.empty()) ++masks_;
      context.to_mm = context.to_mm * document_.transform_of(target);
      if (context.style.displayed) nested_viewport(target, context, size, depth + 1);
    } else {
      visit(target, context, depth + 1);
    }
    uses_.pop_back();
  }

  // --- clip paths ------------------------------------------------------------------------------------------------

  /// Takes away what the clip path of an element hides of the lines drawn since it began.
  void clip(pugi::xml_node node, const std::string& id, const Affine& space, const SvgViewport& viewport,
            std::size_t first, int depth) {
    if (lines_->size() == first) return;
    const auto region = clip_region(node, id, space, viewport, first, depth);
    if (!region) return;
    const SvgClip seen = clip_of(*region);
    const bool counts = lines_ == &art_.lines;
    std::unordered_set<std::string> gone;
    std::size_t kept = first;
    for (std::size_t i = first; i < lines_->size(); ++i) {
      ArtLine& line = (*lines_)[i];
      const Clipped what = clip_line(line, seen);
      if (what == Clipped::gone) {
        gone.insert(line.id);
        continue;
      }
      if (counts && what == Clipped::cut) ++cut_;
      if (kept != i) (*lines_)[kept] = std::move(line);
      ++kept;
    }
    lines_->resize(kept);
    if (!counts) return;
    clipped_away_ += static_cast<int>(gone.size());
    std::erase_if(unpainted_, [&](const LineRef& ref) { return gone.contains(ref.line); });
  }

  /// What the clip path shows, mm; nothing where there is no such clip path, which then hides nothing (CSS Masking 1,
  /// 5).
  std::optional<Region> clip_region(pugi::xml_node node, const std::string& id, const Affine& space,
                                    const SvgViewport& viewport, std::size_t first, int depth) {
    check_depth(node, depth);
    const auto target = document_.with_id(id);
    if (!target || document_.element_name(target) != "clipPath") {
      document_.amiss(document_.ignored, node, "clip-path");
      return std::nullopt;
    }
    if (std::find(uses_.begin(), uses_.end(), target) != uses_.end()) {
      document_.amiss(endless_, node, "#" + id);
      return std::nullopt;
    }
    Context context;
    context.style = document_.style_of(target, {});
    context.viewport = viewport;
    context.to_mm = space * document_.transform_of(target);
    const bool boxed = std::string_view(target.attribute("clipPathUnits").value()) == "objectBoundingBox";
    // The same for all that it clips there.
    const bool own = !boxed && context.style.clip.empty();
    if (const auto known = clips_.find(id); own && known != clips_.end() && known->second.first == context.to_mm)
      return known->second.second;
    if (boxed) {
      if (space.determinant() == 0) return std::nullopt;
      Box box;
      for (std::size_t i = first; i < lines_->size(); ++i)
        box.add(bounds_of(transformed((*lines_)[i].path, space.inverse())));
      context.to_mm = context.to_mm * Affine::move(box.x0, box.y0) * Affine::scale(box.width(), box.height());
    }
    std::vector<ArtLine> shapes;
    std::vector<ArtLine>* const drawn = std::exchange(lines_, &shapes);
    const int hidden = hidden_, dots = dots_;
    uses_.push_back(target);
    for (const auto child : target.children()) {
      const auto name = document_.element_name(child);
      if (is_shape(name) || name == "use" || name == "text") visit(child, context, depth + 1);
    }
    hidden_ = hidden, dots_ = dots;
    lines_ = drawn;
    std::vector<Region> regions;
    for (const auto& shape : shapes) regions.push_back(region_of(shape.path));
    std::optional<Region> out = unite(regions);
    if (!context.style.clip.empty()) {
      if (const auto other = clip_region(target, context.style.clip, space, viewport, first, depth + 1))
        out = intersect(*out, *other);
    }
    uses_.pop_back();
    if (own) clips_[id] = {context.to_mm, *out};
    return out;
  }

  /// What is filled is filled as if its ends were joined.
  static Path closed_for_filling(Path path) {
    for (auto& contour : path.contours) {
      if (!contour.closed && !contour.segments.empty() && contour.segments.back().end != contour.start)
        contour.segments.push_back(Segment::line(contour.start));
      contour.closed = true;
    }
    return path;
  }

  // --- shapes ----------------------------------------------------------------------------------------------------

  void draw(pugi::xml_node node, std::string_view name, const Context& context) {
    if (!context.style.visible) {
      ++hidden_;
      return;
    }
    Path drawn =
        transformed(svg_shape(document_, node, name, context.viewport, context.to_mm.max_stretch()), context.to_mm);
    if (context.style.stroke && context.style.capped) {
      dots_ += static_cast<int>(std::count_if(drawn.contours.begin(), drawn.contours.end(), [](const Contour& c) {
        return is_point(c) && (c.closed || !c.segments.empty());
      }));
    }
    drawn.fill_rule = context.style.fill_rule;
    put(node, name, std::move(drawn), context.style, context);
  }

  /// Adds a line, in mm, unless nothing is left of it or nobody could mean it.
  void put(pugi::xml_node node, std::string_view name, Path drawn, const SvgStyle& style, const Context& context) {
    Path path = with_meeting_ends_closed(std::move(drawn));
    if (path.contours.empty()) return;
    for (const auto& contour : path.contours) {
      bool finite = is_finite(contour.start);
      for (const auto& s : contour.segments) finite = finite && is_finite(s.end) && is_finite(s.c1) && is_finite(s.c2);
      if (!finite) return document_.amiss(left_out_, node, name);
    }
    const Box bounds = bounds_of(path);
    if (std::max({std::abs(bounds.x0), std::abs(bounds.y0), std::abs(bounds.x1), std::abs(bounds.y1)}) > kFarthestMm)
      return document_.amiss(left_out_, node, name);
    segments_ += segment_count(path);
    if (segments_ > options_.max_segments) {
      document_.refuse(ErrorKind::unsupported, {"drawing-segments", {{"most", figure(options_.max_segments)}}},
                       document_.line_of(node));
    }
    ArtLine line;
    if (lines_ != &art_.lines) {
      line.path = closed_for_filling(std::move(path));
      line.path.fill_rule = style.clip_rule;
      line.fill = Color{};
      lines_->push_back(std::move(line));
      return;
    }
    line.id = node.attribute("id").value();
    if (line.id.empty()) line.id = std::string(name) + "-" + std::to_string(++kinds_[std::string(name)]);
    for (std::string base = line.id; !used_ids_.insert(line.id).second;) {
      line.id = base + "-" + std::to_string(++kinds_[base]);
    }
    line.layer = context.layer.empty() ? context.outermost : context.layer;
    line.path = std::move(path);
    line.stroke = style.stroke;
    line.fill = style.fill;
    line.dashed = style.dashed && line.stroke;
    if (!line.stroke && !line.fill) unpainted_.push_back({0, line.id});
    art_.lines.push_back(std::move(line));
  }

  void write(pugi::xml_node node, const Context& context) {
    SvgText set = svg_text(document_, node, context.style, context.viewport);
    if (!set.left_out.empty()) texts_.push_back(set.left_out);
    if (!set.asked.empty() && stand_ins_++ == 0) asked_ = set.asked, used_ = set.used;
    for (SvgTextRun& run : set.runs) {
      if (!run.style.visible) {
        ++hidden_;
        continue;
      }
      put(run.node, "text", transformed(run.path, context.to_mm), run.style, context);
    }
  }

  void note(std::string code, Severity severity, Figures figures, std::vector<LineRef> lines = {}) {
    art_.notes.push_back({std::move(code), severity, std::move(figures), std::move(lines)});
  }

  void finish_notes() {
    if (art_.unit_source == UnitSource::assumed) {
      Figures figures{{"per-inch", art_.per_inch}, {"width", art_.width_mm}, {"height", art_.height_mm}};
      for (const int per_inch : {96, 90, 72}) {
        figures["width-" + std::to_string(per_inch)] = art_.width_mm * art_.per_inch / per_inch;
        figures["height-" + std::to_string(per_inch)] = art_.height_mm * art_.per_inch / per_inch;
      }
      note("size-assumed", Severity::warning, std::move(figures));
    }
    if (!texts_.empty()) {
      note("text-left-out", Severity::warning,
           {{"texts", static_cast<double>(texts_.size())}, {"first", texts_.front().substr(0, 40)}});
    }
    if (stand_ins_ > 0) {
      note("typeface-stands-in", Severity::warning,
           {{"texts", 1.0 * stand_ins_}, {"asked", asked_.substr(0, 60)}, {"used", used_}});
    }
    const auto where = [](const SvgAmiss& what) {
      return Figures{
          {"count", static_cast<double>(what.count)}, {"line", static_cast<double>(what.line)}, {"name", what.name}};
    };
    if (document_.cut_short.count > 0) note("path-cut-short", Severity::warning, where(document_.cut_short));
    if (document_.ignored.count > 0) note("attribute-ignored", Severity::warning, where(document_.ignored));
    if (left_out_.count > 0) note("element-left-out", Severity::warning, where(left_out_));
    if (lost_.count > 0) note("use-lost", Severity::warning, where(lost_));
    if (outside_.count > 0) note("use-outside", Severity::warning, where(outside_));
    if (endless_.count > 0) note("use-endless", Severity::warning, where(endless_));
    if (images_ > 0) note("image-left-out", Severity::warning, {{"pictures", 1.0 * images_}});
    if (foreign_ > 0) note("embedded-left-out", Severity::warning, {{"objects", 1.0 * foreign_}});
    Figures clipped;
    if (cut_ > 0) clipped["cut"] = 1.0 * cut_;
    if (clipped_away_ > 0) clipped["away"] = 1.0 * clipped_away_;
    if (!clipped.empty()) note("clipped", Severity::info, std::move(clipped));
    if (masks_ > 0) note("clip-ignored", Severity::warning, {{"clips", 1.0 * masks_}});
    if (dots_ > 0) note("dots-left-out", Severity::warning, {{"dots", 1.0 * dots_}});
    if (hidden_ > 0) note("hidden-left-out", Severity::info, {{"elements", 1.0 * hidden_}});
    if (!unpainted_.empty())
      note("unpainted", Severity::info, {{"lines", static_cast<double>(unpainted_.size())}}, unpainted_);
    if (!document_.sheet().ignored().empty()) {
      note("style-ignored", Severity::info,
           {{"rules", static_cast<double>(document_.sheet().ignored().size())},
            {"first", document_.sheet().ignored().front().substr(0, 40)}});
    }
    if (art_.lines.empty()) note("nothing-drawn", Severity::warning, {});
  }
};

}  // namespace

Result<Artwork> read_svg(std::string_view bytes, const std::string& file_name, const ReadOptions& options) {
  try {
    return Reader(bytes, file_name, options).read();
  } catch (SvgRefusal& refusal) {
    return tl::unexpected<Error>(std::move(refusal.error));
  } catch (const std::bad_alloc&) {
    return fail(ErrorKind::unsupported, {"drawing-memory"}, file_name);
  }
}

}  // namespace dotlane
