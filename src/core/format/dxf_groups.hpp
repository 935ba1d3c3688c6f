// DXF as groups of a code and a value, two lines each, with the line that each stands on.
#pragma once

#include <optional>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"

namespace dotlane {

struct DxfGroup {
  int code = 0;
  std::string_view value;  ///< without the space around it; of the text that was read
  std::size_t line = 0;    ///< of the value
};

/// All groups up to EOF. Errors name the line: a code that is no number, a file that ends between code and value, one
/// that is no DXF or is the binary kind.
[[nodiscard]] Result<std::vector<DxfGroup>> dxf_groups(std::string_view bytes, const std::string& file_name);

/// What belongs together: a group of code 0 and those up to the next.
class DxfRecord {
 public:
  DxfRecord(const DxfGroup* begin, const DxfGroup* end) : begin_(begin), end_(end) {}
  [[nodiscard]] std::string_view kind() const { return begin_->value; }
  [[nodiscard]] std::size_t line() const { return begin_->line; }
  [[nodiscard]] const DxfGroup* begin() const { return begin_ + 1; }
  [[nodiscard]] const DxfGroup* end() const { return end_; }
  /// The first of the code; a number that cannot be read is as if it was not there.
  [[nodiscard]] std::optional<double> number(int code) const;
  [[nodiscard]] double number(int code, double missing) const { return number(code).value_or(missing); }
  [[nodiscard]] int integer(int code, int missing) const;
  [[nodiscard]] std::string_view text(int code) const;
  [[nodiscard]] bool has(int code) const;

 private:
  const DxfGroup *begin_, *end_;
};

}  // namespace dotlane
