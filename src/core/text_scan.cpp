#include "core/text_scan.hpp"

#include <charconv>

namespace dotlane {

bool is_space(char c) { return c == ' ' || c == '\t' || c == '\n' || c == '\r' || c == '\f'; }

void TextScan::skip_space() {
  while (!done() && is_space(text_[at_])) ++at_;
}

void TextScan::skip_separators() {
  skip_space();
  if (peek() == ',') {
    ++at_;
    skip_space();
  }
}

std::optional<double> TextScan::number() {
  const std::size_t before = at_;
  skip_separators();
  std::size_t from = at_;
  if (peek() == '+') ++from;
  const char first = from < text_.size() ? text_[from] : '\0';
  const char second = from + 1 < text_.size() ? text_[from + 1] : '\0';
  const bool numeric = (first >= '0' && first <= '9') || first == '.' ||
                       (first == '-' && from == at_ && ((second >= '0' && second <= '9') || second == '.'));
  double value = 0;
  const char* const begin = text_.data() + from;
  const auto [end, status] = std::from_chars(begin, text_.data() + text_.size(), value);
  if (!numeric || status != std::errc{} || !std::isfinite(value) || std::abs(value) > 1e9) {
    at_ = before;
    return std::nullopt;
  }
  at_ = from + static_cast<std::size_t>(end - begin);
  return value;
}

std::optional<bool> TextScan::flag() {
  const std::size_t before = at_;
  skip_separators();
  const char c = peek();
  if (c != '0' && c != '1') {
    at_ = before;
    return std::nullopt;
  }
  ++at_;
  return c == '1';
}

std::string_view trimmed(std::string_view text) {
  while (!text.empty() && is_space(text.front())) text.remove_prefix(1);
  while (!text.empty() && is_space(text.back())) text.remove_suffix(1);
  return text;
}

std::string lower_case(std::string_view text) {
  std::string out(text);
  for (char& c : out) {
    if (c >= 'A' && c <= 'Z') c = static_cast<char>(c - 'A' + 'a');
  }
  return out;
}

std::vector<std::string_view> split(std::string_view text, char separator) {
  std::vector<std::string_view> out;
  for (;;) {
    const auto at = text.find(separator);
    out.push_back(text.substr(0, at));
    if (at == std::string_view::npos) return out;
    text.remove_prefix(at + 1);
  }
}

std::optional<double> to_number(std::string_view text) {
  TextScan in(trimmed(text));
  if (in.peek() == ',') return std::nullopt;
  const auto v = in.number();
  return v && in.done() ? v : std::nullopt;
}

std::optional<std::int64_t> to_integer(std::string_view text) {
  text = trimmed(text);
  std::int64_t value = 0;
  const auto [end, status] = std::from_chars(text.data(), text.data() + text.size(), value);
  if (text.empty() || status != std::errc{} || end != text.data() + text.size()) return std::nullopt;
  return value;
}

std::string rounded_text(double value, int decimals) {
  char buffer[400];
  const auto end = std::to_chars(buffer, buffer + sizeof buffer, value, std::chars_format::fixed, decimals).ptr;
  std::string out(buffer, end);
  if (out.find('.') != std::string::npos) {
    while (out.back() == '0') out.pop_back();
    if (out.back() == '.') out.pop_back();
  }
  return out == "-0" ? "0" : out;
}

}  // namespace dotlane
