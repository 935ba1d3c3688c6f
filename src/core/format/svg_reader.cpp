#include "core/format/svg_reader.hpp"

#include <algorithm>
#include <array>
#include <map>
#include <pugixml.hpp>
#include <unordered_map>
#include <unordered_set>

#include "core/format/svg_style.hpp"
#include "core/format/svg_units.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/path_data.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

struct Size {
  double w = 0, h = 0;
};

/// Thrown inside the reader only, where a deep visit must end at once; read_svg() turns it into a Result.
struct Refusal {
  Error error;
};

std::string_view local_name(std::string_view name) {
  const auto colon = name.rfind(':');
  return colon == std::string_view::npos ? name : name.substr(colon + 1);
}

class Reader {
 public:
  Reader(std::string_view bytes, const std::string& file, const ReadOptions& options)
      : bytes_(bytes), file_(file), options_(options) {}

  Artwork read() {
    if (bytes_.size() > options_.max_bytes) {
      refuse(ErrorKind::unsupported, "the file is larger than " + std::to_string(options_.max_bytes >> 20) +
                                         " MB; split the drawing or simplify it");
    }
    if (trimmed(bytes_).empty()) refuse(ErrorKind::malformed, "the file is empty");
    const auto parsed = document_.load_buffer(bytes_.data(), bytes_.size(), pugi::parse_default | pugi::parse_doctype);
    if (!parsed) {
      refuse(
          ErrorKind::malformed,
          std::string("not well-formed XML (") + parsed.description() + "); the file may be cut short, save it again",
          line_at(parsed.offset));
    }
    survey();
    const auto root = document_.document_element();
    if (local_name(root.name()) != "svg") {
      refuse(ErrorKind::malformed,
             "this is not an SVG drawing: its first element is <" + std::string(root.name()) + ">", line_of(root));
    }
    const std::string_view name = root.name();
    prefix_ = name.substr(0, name.size() - 3);
    read_root(root);
    finish_notes();
    return std::move(art_);
  }

 private:
  std::string_view bytes_;
  const std::string& file_;
  const ReadOptions& options_;
  pugi::xml_document document_;
  std::string_view prefix_;
  StyleSheet sheet_;
  std::unordered_map<std::string_view, pugi::xml_node> by_id_;
  std::vector<pugi::xml_node> uses_;  // the polyline of elements that are being instantiated
  std::size_t instances_ = 0, segments_ = 0;
  std::unordered_set<std::string> used_ids_;
  std::map<std::string, int> kinds_;
  std::vector<std::string> texts_;
  int images_ = 0, hidden_ = 0, dots_ = 0, clips_ = 0, foreign_ = 0;
  std::vector<LineRef> unpainted_;
  /// What is wrong in the file and was read on after: how often, and where first.
  struct Amiss {
    std::size_t count = 0, line = 0;
    std::string name;
  };
  Amiss cut_short_, ignored_, left_out_, lost_, outside_, endless_;
  Artwork art_;

  [[nodiscard]] std::size_t line_at(std::ptrdiff_t offset) const {
    const auto end = std::min(static_cast<std::size_t>(std::max<std::ptrdiff_t>(offset, 0)), bytes_.size());
    return 1 + static_cast<std::size_t>(
                   std::count(bytes_.begin(), bytes_.begin() + static_cast<std::ptrdiff_t>(end), '\n'));
  }
  [[nodiscard]] std::size_t line_of(pugi::xml_node node) const { return line_at(node.offset_debug()); }

  [[noreturn]] void refuse(ErrorKind kind, std::string message, std::size_t line = 0) const {
    throw Refusal{{kind, std::move(message), line ? file_ + ":" + std::to_string(line) : file_}};
  }
  /// Errors in attributes are no reason to refuse a drawing: SVG 2 says what is drawn all the same (sections 5.6, 7.4,
  /// 8.5, 9.5.4 and its chapter on implementation notes; CSS ignores a declaration that it cannot read).
  void amiss(Amiss& what, pugi::xml_node node, std::string_view name) {
    if (what.count++ > 0) return;
    what.line = line_of(node);
    what.name = name.substr(0, 40);
  }

  /// One pass over the tree: nesting, entities, ids and style sheets. Iterative, whatever the depth.
  void survey() {
    struct Walker : pugi::xml_tree_walker {
      Reader& r;
      explicit Walker(Reader& reader) : r(reader) {}
      bool for_each(pugi::xml_node& node) override {
        if (depth() > r.options_.max_depth) {
          r.refuse(ErrorKind::unsupported,
                   "groups are nested deeper than " + std::to_string(r.options_.max_depth) + "; ungroup the drawing",
                   r.line_of(node));
        }
        if (node.type() == pugi::node_doctype) r.check_entities(node);
        if (node.type() != pugi::node_element) return true;
        if (const auto id = node.attribute("id")) r.by_id_.emplace(id.value(), node);
        if (local_name(node.name()) == "style") {
          std::string css;
          for (const auto child : node.children()) css += child.value();
          r.sheet_.add(css);
        }
        return true;
      }
    } walker(*this);
    document_.traverse(walker);
  }

  /// Entities that refer to others can grow without bound; drawings have no need of them.
  void check_entities(pugi::xml_node doctype) const {
    std::string_view text = doctype.value();
    for (std::size_t at = 0; (at = text.find("<!ENTITY", at)) != std::string_view::npos; ++at) {
      const auto end = std::min(text.find('>', at), text.size());
      const auto entity = text.substr(at, end - at);
      if (entity.find('&') != std::string_view::npos || entity.find("SYSTEM") != std::string_view::npos ||
          entity.find("PUBLIC") != std::string_view::npos) {
        refuse(ErrorKind::unsupported,
               "the file defines XML entities that refer to others or to outside files; save it as plain SVG",
               line_at(doctype.offset_debug() + static_cast<std::ptrdiff_t>(at)));
      }
    }
  }

  [[nodiscard]] std::string_view element_name(pugi::xml_node node) const {
    std::string_view name = node.name();
    if (!name.starts_with(prefix_)) return {};
    name.remove_prefix(prefix_.size());
    return name.find(':') == std::string_view::npos ? name : std::string_view{};
  }

  // --- numbers ---------------------------------------------------------------------------------------------------

  enum class Axis { x, y, diagonal };

  double length(pugi::xml_node node, const char* attribute, double missing, Size viewport, Axis axis) {
    const auto a = node.attribute(attribute);
    if (!a || trimmed(a.value()) == "auto") return missing;
    const auto parsed = parse_svg_length(a.value());
    if (!parsed) {
      amiss(ignored_, node, attribute);
      return missing;
    }
    if (const auto px = px_per(parsed->unit)) return parsed->value * *px;
    if (parsed->unit == "em") return parsed->value * 16;
    if (parsed->unit == "ex") return parsed->value * 8;
    if (parsed->unit == "%") {
      const double base = axis == Axis::x   ? viewport.w
                          : axis == Axis::y ? viewport.h
                                            : std::sqrt((viewport.w * viewport.w + viewport.h * viewport.h) / 2);
      return parsed->value / 100 * base;
    }
    amiss(ignored_, node, attribute);
    return missing;
  }

  double positive(pugi::xml_node node, const char* attribute, double missing, Size viewport, Axis axis) {
    const double v = length(node, attribute, missing, viewport, axis);
    if (v >= 0) return v;
    amiss(ignored_, node, attribute);
    return missing;
  }

  [[nodiscard]] std::optional<Box> view_box(pugi::xml_node node) {
    const auto a = node.attribute("viewBox");
    if (!a) return std::nullopt;
    TextScan in(a.value());
    const auto x = in.number(), y = in.number(), w = in.number(), h = in.number();
    if (!x || !y || !w || !h || *w <= 0 || *h <= 0) {
      amiss(ignored_, node, "viewBox");
      return std::nullopt;
    }
    return Box::of(*x, *y, *w, *h);
  }

  [[nodiscard]] Affine transform_of(pugi::xml_node node) {
    const auto a = node.attribute("transform");
    if (!a) return {};
    const auto parsed = parse_transform(a.value());
    if (!parsed) amiss(ignored_, node, "transform");
    return parsed.value_or(Affine{});
  }

  // --- style -----------------------------------------------------------------------------------------------------

  /// One colour for what changes from place to place: the mean of a gradient over its length, of what a pattern paints.
  std::optional<Color> mean_color(std::string_view id, int hops = 0) {
    constexpr int kHops = 8;
    const auto found = by_id_.find(id);
    if (found == by_id_.end() || hops > kHops) return std::nullopt;
    const pugi::xml_node server = found->second;
    std::vector<std::pair<double, Shade>> stops;
    MeanShade mean;
    for (const auto child : server.children()) {
      if (element_name(child) == "stop") {
        const auto parsed = parse_svg_length(child.attribute("offset").value());
        const double at = parsed ? parsed->value / (parsed->unit == "%" ? 100 : 1) : 0;
        stops.emplace_back(std::clamp(at, stops.empty() ? 0.0 : stops.back().first, 1.0), shade_of(child));
      } else if (element_name(server) == "pattern" && child.type() == pugi::node_element) {
        const SvgStyle style = style_of(child, {});
        if (const auto painted = style.fill ? style.fill : style.stroke) mean.add({*painted, 1}, 1);
      }
    }
    for (std::size_t i = 0; i < stops.size(); ++i) {
      // Half of the way to the stop on either side is a stop's own; to the ends, all of it.
      const double from = i == 0 ? 0 : (stops[i - 1].first + stops[i].first) / 2;
      const double to = i + 1 == stops.size() ? 1 : (stops[i].first + stops[i + 1].first) / 2;
      mean.add(stops[i].second, to - from);
    }
    if (stops.size() == 1) mean.add(stops.front().second, 1);
    if (mean.weight > 0) return mean.color();
    return mean_color(target_id(server), hops + 1);
  }

  struct Shade {
    Color color{0, 0, 0};
    double opacity = 1;
  };
  struct MeanShade {
    double r = 0, g = 0, b = 0, weight = 0;
    void add(const Shade& shade, double share) {
      const double w = shade.opacity * share;
      r += w * shade.color.r, g += w * shade.color.g, b += w * shade.color.b, weight += w;
    }
    [[nodiscard]] Color color() const {
      const auto whole = [&](double sum) { return static_cast<std::uint8_t>(std::lround(sum / weight)); };
      return {whole(r), whole(g), whole(b)};
    }
  };
  [[nodiscard]] static Shade shade_of(pugi::xml_node stop) {
    Shade out;
    const auto take = [&](std::string_view name, std::string_view value) {
      if (name == "stop-color") {
        if (const auto color = parse_color(value)) out.color = *color;
      } else if (name == "stop-opacity") {
        if (const auto parsed = parse_svg_length(value))
          out.opacity = std::clamp(parsed->value / (parsed->unit == "%" ? 100 : 1), 0.0, 1.0);
      }
    };
    for (const auto a : stop.attributes()) take(a.name(), a.value());
    for (const auto& [name, value] : parse_declarations(stop.attribute("style").value())) take(name, value);
    return out;
  }

  [[nodiscard]] SvgStyle style_of(pugi::xml_node node, SvgStyle style) {
    const PaintServer server = [this](std::string_view id) { return mean_color(id); };
    style.displayed = true;
    // `color` first, so that currentColor sees the element's own.
    if (const auto a = node.attribute("color")) apply(style, "color", a.value(), server);
    for (const auto attribute : node.attributes()) apply(style, attribute.name(), attribute.value(), server);
    if (!sheet_.empty()) {
      for (const auto& [name, value] :
           sheet_.matching(element_name(node), node.attribute("id").value(), node.attribute("class").value())) {
        apply(style, name, value, server);
      }
    }
    if (const auto a = node.attribute("style")) {
      for (const auto& [name, value] : parse_declarations(a.value())) apply(style, name, value, server);
    }
    return style;
  }

  // --- the tree --------------------------------------------------------------------------------------------------

  struct Context {
    Affine to_mm;
    SvgStyle style;
    Size viewport;
    std::string layer;      // labels so far
    std::string outermost;  // id of the outermost group, for drawings without labels
  };

  static std::string href_of(pugi::xml_node node) {
    for (const auto a : node.attributes()) {
      if (local_name(a.name()) == "href") return std::string(trimmed(a.value()));
    }
    return {};
  }
  static std::string target_id(pugi::xml_node node) {
    const std::string href = href_of(node);
    return href.starts_with('#') ? href.substr(1) : std::string();
  }

  static std::string label_of(pugi::xml_node node) {
    for (const auto a : node.attributes()) {
      const std::string_view name = a.name();
      if (name.ends_with(":label") || name == "aria-label" || name == "data-name") return a.value();
    }
    if (const auto title = node.child("title")) return std::string(trimmed(title.child_value()));
    return {};
  }

  void read_root(pugi::xml_node root) {
    const auto box = view_box(root);
    auto stated = [&](const char* attribute) -> std::optional<SvgLength> {
      const auto a = root.attribute(attribute);
      if (!a || trimmed(a.value()) == "auto") return std::nullopt;
      const auto v = parse_svg_length(a.value());
      if (!v || v->value <= 0) {
        amiss(ignored_, root, attribute);
        return std::nullopt;
      }
      if (!px_per(v->unit)) return std::nullopt;  // percent and font units say nothing about paper
      return v;
    };
    const auto w = stated("width"), h = stated("height");
    const bool physical = (w && is_physical(w->unit)) || (h && is_physical(h->unit));
    art_.unit_source = physical ? UnitSource::stated : UnitSource::assumed;

    Size viewport{w ? w->value * *px_per(w->unit) : 0, h ? h->value * *px_per(h->unit) : 0};
    const bool sized = w || h || box;
    if (!w) viewport.w = box ? (h ? viewport.h * box->width() / box->height() : box->width()) : viewport.h;
    if (!h) viewport.h = box ? viewport.w * box->height() / box->width() : viewport.w;

    const double mm_per_px = 25.4 / (physical ? kPxPerInch : options_.assumed_per_inch);
    Context context;
    context.viewport = box ? Size{box->width(), box->height()} : viewport;
    context.to_mm = Affine::scale(mm_per_px, mm_per_px);
    double units_per_px = 1;
    if (box) {
      const auto map = fit_view_box(*box, viewport.w, viewport.h, root.attribute("preserveAspectRatio").value());
      units_per_px = 1 / map.a;
      context.to_mm = context.to_mm * map;
    }
    art_.per_inch = physical ? units_per_px * kPxPerInch : options_.assumed_per_inch;
    context.style = style_of(root, {});
    if (!context.style.displayed) ++hidden_;
    if (context.style.displayed) children(root, context, 0);

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

  void visit(pugi::xml_node node, const Context& outer, int depth) {
    if (depth > options_.max_depth) {
      refuse(ErrorKind::unsupported, "elements are nested or reused deeper than " + std::to_string(options_.max_depth),
             line_of(node));
    }
    if (!uses_.empty() && ++instances_ > options_.max_instances) {
      refuse(ErrorKind::unsupported,
             "reused elements add up to more than " + std::to_string(options_.max_instances) + "; expand fewer copies",
             line_of(node));
    }
    const auto name = element_name(node);
    static const std::unordered_set<std::string_view> groups{"g", "a", "svg", "use", "switch"};
    static const std::unordered_set<std::string_view> shapes{"path", "rect",     "circle", "ellipse",
                                                             "line", "polyline", "polygon"};
    const bool group = groups.contains(name), shape = shapes.contains(name);
    if (!group && !shape && name != "text" && name != "image" && name != "foreignObject") return;

    Context context = outer;
    context.style = style_of(node, outer.style);
    if (!context.style.displayed) {
      ++hidden_;
      return;
    }
    context.to_mm = outer.to_mm * transform_of(node);
    if (node.attribute("clip-path") || node.attribute("mask")) ++clips_;
    if (name == "text") {
      std::string text;
      collect_text(node, text);
      texts_.emplace_back(trimmed(text));
    } else if (name == "image") {
      ++images_;
    } else if (name == "foreignObject") {
      ++foreign_;
    } else if (shape) {
      draw(node, name, context);
    } else if (name == "use") {
      use(node, context, depth);
    } else if (name == "svg") {
      const Size size{positive(node, "width", outer.viewport.w, outer.viewport, Axis::x),
                      positive(node, "height", outer.viewport.h, outer.viewport, Axis::y)};
      nested_viewport(node, context, size, depth);
    } else if (name == "switch") {
      for (const auto child : node.children()) {
        if (groups.contains(element_name(child)) || shapes.contains(element_name(child))) {
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

  void nested_viewport(pugi::xml_node node, Context& context, Size size, int depth) {
    if (local_name(node.name()) == "svg") {
      context.to_mm = context.to_mm * Affine::move(length(node, "x", 0, context.viewport, Axis::x),
                                                   length(node, "y", 0, context.viewport, Axis::y));
    }
    context.viewport = size;
    if (const auto box = view_box(node)) {
      if (size.w == 0 || size.h == 0) return;  // SVG: nothing is drawn
      context.to_mm = context.to_mm * fit_view_box(*box, size.w, size.h, node.attribute("preserveAspectRatio").value());
      context.viewport = {box->width(), box->height()};
    }
    children(node, context, depth);
  }

  void use(pugi::xml_node node, Context& context, int depth) {
    const auto id = target_id(node);
    const auto found = by_id_.find(id);
    if (id.empty() || found == by_id_.end()) {
      const std::string href = href_of(node);
      return amiss(href.empty() || href.starts_with('#') ? lost_ : outside_, node, href);
    }
    const auto target = found->second;
    bool endless = std::find(uses_.begin(), uses_.end(), target) != uses_.end();
    for (auto up = node; up; up = up.parent()) endless = endless || up == target;
    if (endless) return amiss(endless_, node, "#" + std::string(id));
    context.to_mm = context.to_mm * Affine::move(length(node, "x", 0, context.viewport, Axis::x),
                                                 length(node, "y", 0, context.viewport, Axis::y));
    if (context.outermost.empty()) context.outermost = node.attribute("id").value();
    uses_.push_back(target);
    const auto kind = element_name(target);
    if (kind == "symbol" || kind == "svg") {
      const Size size{
          positive(node, "width", positive(target, "width", context.viewport.w, context.viewport, Axis::x),
                   context.viewport, Axis::x),
          positive(node, "height", positive(target, "height", context.viewport.h, context.viewport, Axis::y),
                   context.viewport, Axis::y)};
      context.style = style_of(target, context.style);
      context.to_mm = context.to_mm * transform_of(target);
      if (context.style.displayed) nested_viewport(target, context, size, depth + 1);
    } else {
      visit(target, context, depth + 1);
    }
    uses_.pop_back();
  }

  // --- shapes ----------------------------------------------------------------------------------------------------

  Path outline(pugi::xml_node node, std::string_view name, const Context& context) {
    const double scale = context.to_mm.max_stretch();
    const Size v = context.viewport;
    Path path;
    auto ellipse = [&](Vec c, double rx, double ry) {
      if (rx == 0 || ry == 0) return;
      Contour ring{{c.x + rx, c.y}, {}, true};
      append_arc(ring.segments, ring.start, rx, ry, 0, false, true, {c.x - rx, c.y}, scale);
      append_arc(ring.segments, {c.x - rx, c.y}, rx, ry, 0, false, true, ring.start, scale);
      path.contours.push_back(std::move(ring));
    };
    if (name == "path") {
      PathRead read = read_path_data(node.attribute("d").value(), scale);
      if (read.error) amiss(cut_short_, node, name);
      path = std::move(read.path);
    } else if (name == "rect") {
      const double x = length(node, "x", 0, v, Axis::x), y = length(node, "y", 0, v, Axis::y);
      const double w = positive(node, "width", 0, v, Axis::x), h = positive(node, "height", 0, v, Axis::y);
      if (w == 0 || h == 0) return path;
      double rx = positive_or(node, "rx", v, Axis::x), ry = positive_or(node, "ry", v, Axis::y);
      if (rx < 0) rx = ry;
      if (ry < 0) ry = rx;
      rx = std::clamp(rx, 0.0, w / 2), ry = std::clamp(ry, 0.0, h / 2);
      if (rx == 0 || ry == 0) rx = ry = 0;  // SVG: square corners
      Contour ring{{x + rx, y}, {}, true};
      auto corner = [&](Vec from, Vec to) {
        if (rx > 0 && ry > 0) append_arc(ring.segments, from, rx, ry, 0, false, true, to, scale);
      };
      auto side = [&](Vec to) {
        const Vec from = ring.segments.empty() ? ring.start : ring.segments.back().end;
        if (!(from == to)) ring.segments.push_back(Segment::line(to));
      };
      side({x + w - rx, y}), corner({x + w - rx, y}, {x + w, y + ry});
      side({x + w, y + h - ry}), corner({x + w, y + h - ry}, {x + w - rx, y + h});
      side({x + rx, y + h}), corner({x + rx, y + h}, {x, y + h - ry});
      side({x, y + ry}), corner({x, y + ry}, {x + rx, y});
      path.contours.push_back(std::move(ring));
    } else if (name == "circle") {
      const double r = positive(node, "r", 0, v, Axis::diagonal);
      ellipse({length(node, "cx", 0, v, Axis::x), length(node, "cy", 0, v, Axis::y)}, r, r);
    } else if (name == "ellipse") {
      double rx = positive_or(node, "rx", v, Axis::x), ry = positive_or(node, "ry", v, Axis::y);
      if (rx < 0) rx = std::max(0.0, ry);
      if (ry < 0) ry = std::max(0.0, rx);
      ellipse({length(node, "cx", 0, v, Axis::x), length(node, "cy", 0, v, Axis::y)}, rx, ry);
    } else if (name == "line") {
      Contour c{{length(node, "x1", 0, v, Axis::x), length(node, "y1", 0, v, Axis::y)}, {}, false};
      c.segments.push_back(Segment::line({length(node, "x2", 0, v, Axis::x), length(node, "y2", 0, v, Axis::y)}));
      path.contours.push_back(std::move(c));
    } else {
      TextScan in(node.attribute("points").value());
      std::vector<Vec> points;
      bool odd = false;
      while (const auto x = in.number()) {
        const auto y = in.number();
        odd = !y;
        if (odd) break;
        points.push_back({*x, *y});
      }
      in.skip_separators();
      if (odd || !in.done()) amiss(cut_short_, node, "points");
      if (points.size() < 2) return path;
      Contour c{points.front(), {}, name == "polygon"};
      for (std::size_t i = 1; i < points.size(); ++i) c.segments.push_back(Segment::line(points[i]));
      if (c.closed && !(points.back() == c.start)) c.segments.push_back(Segment::line(c.start));
      path.contours.push_back(std::move(c));
    }
    return path;
  }

  /// A length that may be left out, which -1 then says.
  double positive_or(pugi::xml_node node, const char* attribute, Size viewport, Axis axis) {
    const auto a = node.attribute(attribute);
    if (!a || trimmed(a.value()) == "auto") return -1;
    return positive(node, attribute, -1, viewport, axis);
  }

  void draw(pugi::xml_node node, std::string_view name, const Context& context) {
    if (!context.style.visible) {
      ++hidden_;
      return;
    }
    Path drawn = transformed(outline(node, name, context), context.to_mm);
    if (context.style.stroke && context.style.capped) {
      dots_ += static_cast<int>(std::count_if(drawn.contours.begin(), drawn.contours.end(), [](const Contour& c) {
        return is_point(c) && (c.closed || !c.segments.empty());
      }));
    }
    Path path = with_meeting_ends_closed(std::move(drawn));
    if (path.contours.empty()) return;
    path.fill_rule = context.style.fill_rule;
    for (const auto& contour : path.contours) {
      bool finite = is_finite(contour.start);
      for (const auto& s : contour.segments) finite = finite && is_finite(s.end) && is_finite(s.c1) && is_finite(s.c2);
      if (!finite) return amiss(left_out_, node, name);
    }
    const Box bounds = bounds_of(path);
    constexpr double kFarthest = 1e5;  // mm from the origin: nothing that anyone means to cut
    if (std::max({std::abs(bounds.x0), std::abs(bounds.y0), std::abs(bounds.x1), std::abs(bounds.y1)}) > kFarthest)
      return amiss(left_out_, node, name);
    segments_ += segment_count(path);
    if (segments_ > options_.max_segments) {
      refuse(ErrorKind::unsupported,
             "the drawing has more than " + std::to_string(options_.max_segments) + " segments; simplify it",
             line_of(node));
    }
    ArtLine line;
    line.id = node.attribute("id").value();
    if (line.id.empty()) line.id = std::string(name) + "-" + std::to_string(++kinds_[std::string(name)]);
    for (std::string base = line.id; !used_ids_.insert(line.id).second;) {
      line.id = base + "-" + std::to_string(++kinds_[base]);
    }
    line.layer = context.layer.empty() ? context.outermost : context.layer;
    line.path = std::move(path);
    line.stroke = context.style.stroke;
    line.fill = context.style.fill;
    line.dashed = context.style.dashed && line.stroke;
    if (!line.stroke && !line.fill) unpainted_.push_back({0, line.id});
    art_.lines.push_back(std::move(line));
  }

  static void collect_text(pugi::xml_node node, std::string& out) {
    struct Walker : pugi::xml_tree_walker {
      std::string& text;
      explicit Walker(std::string& t) : text(t) {}
      bool for_each(pugi::xml_node& n) override {
        if (n.type() == pugi::node_pcdata || n.type() == pugi::node_cdata) text += n.value();
        return text.size() < 400;
      }
    } walker(out);
    node.traverse(walker);
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
    const auto where = [](const Amiss& what) {
      return Figures{
          {"count", static_cast<double>(what.count)}, {"line", static_cast<double>(what.line)}, {"name", what.name}};
    };
    if (cut_short_.count > 0) note("path-cut-short", Severity::warning, where(cut_short_));
    if (ignored_.count > 0) note("attribute-ignored", Severity::warning, where(ignored_));
    if (left_out_.count > 0) note("element-left-out", Severity::warning, where(left_out_));
    if (lost_.count > 0) note("use-lost", Severity::warning, where(lost_));
    if (outside_.count > 0) note("use-outside", Severity::warning, where(outside_));
    if (endless_.count > 0) note("use-endless", Severity::warning, where(endless_));
    if (images_ > 0) note("image-left-out", Severity::warning, {{"pictures", 1.0 * images_}});
    if (foreign_ > 0) note("embedded-left-out", Severity::warning, {{"objects", 1.0 * foreign_}});
    if (clips_ > 0) note("clip-ignored", Severity::warning, {{"clips", 1.0 * clips_}});
    if (dots_ > 0) note("dots-left-out", Severity::warning, {{"dots", 1.0 * dots_}});
    if (hidden_ > 0) note("hidden-left-out", Severity::info, {{"elements", 1.0 * hidden_}});
    if (!unpainted_.empty())
      note("unpainted", Severity::info, {{"lines", static_cast<double>(unpainted_.size())}}, unpainted_);
    if (!sheet_.ignored().empty()) {
      note(
          "style-ignored", Severity::info,
          {{"rules", static_cast<double>(sheet_.ignored().size())}, {"first", sheet_.ignored().front().substr(0, 40)}});
    }
    if (art_.lines.empty()) note("nothing-drawn", Severity::warning, {});
  }
};

}  // namespace

Result<Artwork> read_svg(std::string_view bytes, const std::string& file_name, const ReadOptions& options) {
  try {
    return Reader(bytes, file_name, options).read();
  } catch (Refusal& refusal) {
    return tl::unexpected<Error>(std::move(refusal.error));
  } catch (const std::bad_alloc&) {
    return fail(ErrorKind::unsupported, "the drawing needs more memory than there is", file_name);
  }
}

}  // namespace dotlane
