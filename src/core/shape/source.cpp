#include "core/shape/source.hpp"

#include "core/shape/lettering.hpp"
#include "core/shape/ready.hpp"
#include "core/shape/trace.hpp"

namespace dotlane {

std::vector<Line> source_lines(const Source& source, Sayings& trouble) {
  if (source.kind == "picture") return traced_lines(*source.picture, source.values, trouble);
  if (source.kind == "lettering") return lettering_lines(source.values, trouble);
  return ready_shape(source.kind, source.values, trouble);
}

}  // namespace dotlane
