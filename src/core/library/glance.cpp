#include "core/library/glance.hpp"

#include <set>

#include "core/layout/layout.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {
namespace {

void add_word(std::string& to, const std::string& word) {
  if (!word.empty()) to += (to.empty() ? "" : " ") + word;
}

/// What the shape is called, and what it is of: a shaped card is a star, a heart, a leaf.
std::string kind_words(const Source& source) {
  std::string out;
  const KindSpec* kind = find_kind(shape_kinds(), source.kind);
  if (!kind) return source.file;
  out = kind->label;
  for (const char* key : {"outline", "form"}) {
    if (kind->find(key)) add_word(out, Reading(*kind, source.values).text(key));
  }
  add_word(out, source.file);
  return out;
}

/// Texts that a person typed into a shape or a step.
void add_typed(std::string& to, const std::vector<KindSpec>& kinds, const std::string& kind, const Values& values) {
  const KindSpec* spec = find_kind(kinds, kind);
  if (!spec) return;
  for (const auto& value : spec->values) {
    if (value.type == ValueType::text && values.contains(value.key))
      add_word(to, Reading(*spec, values).text(value.key));
  }
}

}  // namespace

ProjectGlance glance_at(const Project& project, const Drawing& drawing) {
  ProjectGlance out;
  out.name = project.name;
  const Layout layout = lay_out(project, drawing);
  Box all;
  for (const auto& part : layout.parts) {
    all.add(part.reach);
    if (part.has_body()) all.add(part.bounds());
  }
  if (!layout.parts.empty()) out.size_mm = {all.width(), all.height()};
  for (const auto& piece : project.pieces) {
    PieceGlance glance;
    glance.id = piece->id, glance.name = piece->name, glance.kind = kind_words(piece->source);
    const Stock* stock = find_stock(project, piece->stock);
    glance.stock = stock ? stock->name : piece->stock;
    add_typed(glance.words, shape_kinds(), piece->source.kind, piece->source.values);
    for (const auto& step : piece->steps) add_typed(glance.words, step_kinds(), step.kind, step.values);
    std::set<std::string> layers;
    for (const auto& line : piece->lines) {
      if (layers.insert(line.layer).second) add_word(glance.words, line.layer);
    }
    if (const DrawnPiece* drawn = find_drawn(drawing, piece->id); drawn && !drawn->line_bounds.empty())
      glance.size_mm = {drawn->bounds.width(), drawn->bounds.height()};
    out.pieces.push_back(std::move(glance));
  }
  return out;
}

}  // namespace dotlane
