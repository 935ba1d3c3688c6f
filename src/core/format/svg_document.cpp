#include "core/format/svg_document.hpp"

#include <algorithm>
#include <cmath>

#include "core/format/svg_units.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

std::string_view local_name(std::string_view name) {
  const auto colon = name.rfind(':');
  return colon == std::string_view::npos ? name : name.substr(colon + 1);
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
Shade shade_of(pugi::xml_node stop) {
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

}  // namespace

SvgDocument::SvgDocument(std::string_view bytes, const std::string& file, const ReadOptions& options)
    : bytes_(bytes), file_(file), options_(options) {
  if (bytes_.size() > options_.max_bytes) {
    refuse(ErrorKind::unsupported, {"drawing-too-large", {{"mb", figure(options_.max_bytes >> 20)}}});
  }
  if (trimmed(bytes_).empty()) refuse(ErrorKind::malformed, {"file-empty"});
  // White space between words in tspans is a space.
  constexpr unsigned kParse = pugi::parse_default | pugi::parse_doctype | pugi::parse_ws_pcdata;
  const auto parsed = document_.load_buffer(bytes_.data(), bytes_.size(), kParse);
  if (!parsed) {
    refuse(ErrorKind::malformed, {"svg-not-xml", {{"why", parsed.description()}}}, line_at(parsed.offset));
  }
  survey();
  const auto root = this->root();
  if (local_name(root.name()) != "svg") {
    refuse(ErrorKind::malformed, {"svg-not-svg", {{"element", root.name()}}}, line_of(root));
  }
  const std::string_view name = root.name();
  prefix_ = name.substr(0, name.size() - 3);
}

std::size_t SvgDocument::line_at(std::ptrdiff_t offset) const {
  const auto end = std::min(static_cast<std::size_t>(std::max<std::ptrdiff_t>(offset, 0)), bytes_.size());
  return 1 +
         static_cast<std::size_t>(std::count(bytes_.begin(), bytes_.begin() + static_cast<std::ptrdiff_t>(end), '\n'));
}

/// One pass over the tree: nesting, entities, ids and style sheets. Iterative, whatever the depth.
void SvgDocument::survey() {
  struct Walker : pugi::xml_tree_walker {
    SvgDocument& r;
    explicit Walker(SvgDocument& reader) : r(reader) {}
    bool for_each(pugi::xml_node& node) override {
      if (depth() > r.options_.max_depth) {
        r.refuse(ErrorKind::unsupported, {"svg-nested", {{"levels", figure(r.options_.max_depth)}}}, r.line_of(node));
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
void SvgDocument::check_entities(pugi::xml_node doctype) const {
  std::string_view text = doctype.value();
  for (std::size_t at = 0; (at = text.find("<!ENTITY", at)) != std::string_view::npos; ++at) {
    const auto end = std::min(text.find('>', at), text.size());
    const auto entity = text.substr(at, end - at);
    if (entity.find('&') != std::string_view::npos || entity.find("SYSTEM") != std::string_view::npos ||
        entity.find("PUBLIC") != std::string_view::npos) {
      refuse(ErrorKind::unsupported, {"svg-entities"},
             line_at(doctype.offset_debug() + static_cast<std::ptrdiff_t>(at)));
    }
  }
}

void SvgDocument::refuse(ErrorKind kind, Said said, std::size_t line) const {
  throw SvgRefusal{{kind, std::move(said), line ? file_ + ":" + std::to_string(line) : file_}};
}

void SvgDocument::amiss(SvgAmiss& what, pugi::xml_node node, std::string_view name) const {
  if (what.count++ > 0) return;
  what.line = line_of(node);
  what.name = name.substr(0, 40);
}

pugi::xml_node SvgDocument::with_id(std::string_view id) const {
  const auto found = by_id_.find(id);
  return found == by_id_.end() ? pugi::xml_node() : found->second;
}

std::string_view SvgDocument::element_name(pugi::xml_node node) const {
  std::string_view name = node.name();
  if (!name.starts_with(prefix_)) return {};
  name.remove_prefix(prefix_.size());
  return name.find(':') == std::string_view::npos ? name : std::string_view{};
}

/// One colour for what changes from place to place: the mean of a gradient over its length, of what a pattern paints.
std::optional<Color> SvgDocument::mean_color(std::string_view id, int hops) const {
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

SvgStyle SvgDocument::style_of(pugi::xml_node node, SvgStyle style) const {
  const PaintServer server = [this](std::string_view id) { return mean_color(id, 0); };
  style.displayed = true;
  style.outer_size = style.font.size;
  style.shift = {};
  style.clip.clear();
  style.masked = false;
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
  settle(style);
  return style;
}

double SvgDocument::length(pugi::xml_node node, const char* attribute, double missing, SvgViewport viewport,
                           Axis axis) {
  const auto a = node.attribute(attribute);
  if (!a || trimmed(a.value()) == "auto") return missing;
  const auto parsed = parse_svg_length(a.value());
  if (!parsed) {
    amiss(ignored, node, attribute);
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
  amiss(ignored, node, attribute);
  return missing;
}

double SvgDocument::positive(pugi::xml_node node, const char* attribute, double missing, SvgViewport viewport,
                             Axis axis) {
  const double v = length(node, attribute, missing, viewport, axis);
  if (v >= 0) return v;
  amiss(ignored, node, attribute);
  return missing;
}

std::optional<Box> SvgDocument::view_box(pugi::xml_node node) {
  const auto a = node.attribute("viewBox");
  if (!a) return std::nullopt;
  TextScan in(a.value());
  const auto x = in.number(), y = in.number(), w = in.number(), h = in.number();
  if (!x || !y || !w || !h || *w <= 0 || *h <= 0) {
    amiss(ignored, node, "viewBox");
    return std::nullopt;
  }
  return Box::of(*x, *y, *w, *h);
}

Affine SvgDocument::transform_of(pugi::xml_node node) {
  const auto a = node.attribute("transform");
  if (!a) return {};
  const auto parsed = parse_transform(a.value());
  if (!parsed) amiss(ignored, node, "transform");
  return parsed.value_or(Affine{});
}

std::string SvgDocument::href_of(pugi::xml_node node) {
  for (const auto a : node.attributes()) {
    if (local_name(a.name()) == "href") return std::string(trimmed(a.value()));
  }
  return {};
}
std::string SvgDocument::target_id(pugi::xml_node node) {
  const std::string href = href_of(node);
  return href.starts_with('#') ? href.substr(1) : std::string();
}

double SvgDocument::positive_or_none(pugi::xml_node node, const char* attribute, SvgViewport viewport, Axis axis) {
  const auto a = node.attribute(attribute);
  if (!a || trimmed(a.value()) == "auto") return -1;
  return positive(node, attribute, -1, viewport, axis);
}

}  // namespace dotlane
