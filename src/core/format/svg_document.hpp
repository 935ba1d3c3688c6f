// An SVG file as a tree: what its elements are called, where they stand, what their attributes and styles say.
#pragma once

#include <pugixml.hpp>
#include <string>
#include <string_view>
#include <unordered_map>

#include "core/error.hpp"
#include "core/format/read_options.hpp"
#include "core/format/svg_style.hpp"
#include "core/geometry/vec.hpp"

namespace dotlane {

/// Thrown inside the reader only, where a deep visit must end at once; read_svg() turns it into a Result.
struct SvgRefusal {
  Error error;
};

/// What is wrong in the file and was read on after: how often, and where first.
struct SvgAmiss {
  std::size_t count = 0, line = 0;
  std::string name;
};

struct SvgViewport {
  double w = 0, h = 0;
};

/// Errors in attributes are no reason to refuse a drawing: SVG 2 says what is drawn all the same (sections 5.6, 7.4,
/// 8.5, 9.5.4 and its chapter on implementation notes; CSS ignores a declaration that it cannot read).
class SvgDocument {
 public:
  /// Parses the bytes, which must stay. Throws SvgRefusal, naming the file and the line.
  SvgDocument(std::string_view bytes, const std::string& file, const ReadOptions& options);

  [[nodiscard]] pugi::xml_node root() const { return document_.document_element(); }
  /// Its name without the prefix of SVG's; empty for an element of another namespace.
  [[nodiscard]] std::string_view element_name(pugi::xml_node node) const;
  [[nodiscard]] std::size_t line_of(pugi::xml_node node) const { return line_at(node.offset_debug()); }
  /// The element with this id; a null node where there is none.
  [[nodiscard]] pugi::xml_node with_id(std::string_view id) const;
  /// Where it points, as it stands there ("#roof").
  [[nodiscard]] static std::string href_of(pugi::xml_node node);
  /// The id that it points to; empty where it points elsewhere.
  [[nodiscard]] static std::string target_id(pugi::xml_node node);
  [[nodiscard]] const StyleSheet& sheet() const { return sheet_; }

  [[nodiscard]] SvgStyle style_of(pugi::xml_node node, SvgStyle style) const;

  enum class Axis { x, y, diagonal };
  /// px, or `missing` where the attribute is not there or cannot be read.
  double length(pugi::xml_node node, const char* attribute, double missing, SvgViewport viewport, Axis axis);
  double positive(pugi::xml_node node, const char* attribute, double missing, SvgViewport viewport, Axis axis);
  /// A length that may be left out, which -1 then says.
  double positive_or_none(pugi::xml_node node, const char* attribute, SvgViewport viewport, Axis axis);
  [[nodiscard]] std::optional<Box> view_box(pugi::xml_node node);
  [[nodiscard]] Affine transform_of(pugi::xml_node node);

  void amiss(SvgAmiss& what, pugi::xml_node node, std::string_view name) const;
  [[noreturn]] void refuse(ErrorKind kind, Said said, std::size_t line = 0) const;
  /// Attributes that were passed over, and path data and points read up to an error.
  SvgAmiss ignored, cut_short;

 private:
  [[nodiscard]] std::size_t line_at(std::ptrdiff_t offset) const;
  void survey();
  void check_entities(pugi::xml_node doctype) const;
  [[nodiscard]] std::optional<Color> mean_color(std::string_view id, int hops) const;

  std::string_view bytes_;
  const std::string& file_;
  const ReadOptions& options_;
  pugi::xml_document document_;
  std::string_view prefix_;
  StyleSheet sheet_;
  std::unordered_map<std::string_view, pugi::xml_node> by_id_;
};

}  // namespace dotlane
