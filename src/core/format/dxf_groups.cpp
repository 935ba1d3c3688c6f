#include "core/format/dxf_groups.hpp"

#include <algorithm>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

std::string_view next_line(std::string_view& rest) {
  const auto end = rest.find('\n');
  const std::string_view line = rest.substr(0, end);
  rest.remove_prefix(end == std::string_view::npos ? rest.size() : end + 1);
  return line;
}

}  // namespace

Result<std::vector<DxfGroup>> dxf_groups(std::string_view bytes, const std::string& file_name) {
  const auto wrong = [&](std::size_t line, const char* what) {
    return fail(ErrorKind::malformed, {what}, file_name + ":" + std::to_string(line));
  };
  if (bytes.substr(0, 64).find("Binary DXF") != std::string_view::npos)
    return fail(ErrorKind::unsupported, {"dxf-binary"}, file_name);
  std::vector<DxfGroup> out;
  std::size_t line = 0;
  while (!bytes.empty()) {
    const std::string_view code_text = trimmed(next_line(bytes));
    ++line;
    if (code_text.empty() && trimmed(bytes).empty()) break;  // blank lines at the end
    const auto code = to_integer(code_text);
    if (!code) return wrong(line, out.empty() ? "dxf-not-dxf" : "dxf-group-code");
    if (bytes.empty()) return wrong(line, "dxf-cut-short");
    const std::string_view value = trimmed(next_line(bytes));
    ++line;
    out.push_back({static_cast<int>(std::clamp<std::int64_t>(*code, -10'000, 10'000)), value, line});
    if (out.back().code == 0 && value == "EOF") break;
  }
  if (out.empty()) return fail(ErrorKind::malformed, {"file-empty"}, file_name);
  return out;
}

std::optional<double> DxfRecord::number(int code) const {
  for (const auto& group : *this) {
    if (group.code != code) continue;
    const auto value = to_number(group.value);
    return value && std::isfinite(*value) ? value : std::nullopt;
  }
  return std::nullopt;
}

int DxfRecord::integer(int code, int missing) const {
  const auto value = number(code);
  return value ? static_cast<int>(std::clamp(*value, -2e9, 2e9)) : missing;
}

std::string_view DxfRecord::text(int code) const {
  for (const auto& group : *this) {
    if (group.code == code) return group.value;
  }
  return {};
}

bool DxfRecord::has(int code) const {
  return std::any_of(begin(), end(), [&](const DxfGroup& g) { return g.code == code; });
}

}  // namespace dotlane
