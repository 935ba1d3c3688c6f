#include "core/job/markers.hpp"

#include "core/text_scan.hpp"

namespace dotlane {

std::string marker_text(const LoadMarker& m) {
  std::string out = m.pause ? "dot-lane pause " + std::to_string(m.number) : std::string("dot-lane start");
  out += " mat " + std::to_string(m.mat) + " holders";
  for (std::size_t i = 0; i < m.holders.size(); ++i) {
    out += " " + std::to_string(i + 1) + "=" + (m.holders[i].empty() ? "-" : m.holders[i]);
  }
  return out;
}

std::optional<LoadMarker> marker_from(std::string_view text) {
  const auto words = split(text, ' ');
  std::size_t at = 0;
  auto next = [&] { return at < words.size() ? words[at++] : std::string_view{}; };
  if (next() != "dot-lane") return std::nullopt;
  LoadMarker m;
  const auto kind = next();
  if (kind == "pause") {
    m.pause = true;
    m.number = static_cast<int>(to_integer(next()).value_or(0));
  } else if (kind != "start") {
    return std::nullopt;
  }
  if (next() != "mat") return std::nullopt;
  m.mat = static_cast<int>(to_integer(next()).value_or(1));
  if (next() != "holders") return std::nullopt;
  while (at < words.size()) {
    const auto word = next();
    const auto equals = word.find('=');
    if (equals == std::string_view::npos) return std::nullopt;
    const auto tool = word.substr(equals + 1);
    m.holders.emplace_back(tool == "-" ? "" : tool);
  }
  return m;
}

std::string marker_text(const MarksMarker& m) {
  std::string out = "dot-lane marks sheet " + std::to_string(m.sheet);
  const auto add = [&](Vec p) { out += " " + rounded_text(p.x, 3) + "," + rounded_text(p.y, 3); };
  for (const Vec dot : m.marks.dots) add(dot);
  add(m.marks.second);
  return out;
}

namespace {
constexpr std::string_view kDepth = "dot-lane depth ";
}

std::string depth_text(double depth) { return std::string(kDepth) + rounded_text(depth, 2); }

std::optional<double> depth_from(std::string_view text) {
  if (!text.starts_with(kDepth)) return std::nullopt;
  return to_number(text.substr(kDepth.size()));
}

std::optional<MarksMarker> marks_from(std::string_view text) {
  constexpr std::string_view kBegin = "dot-lane marks sheet ";
  if (!text.starts_with(kBegin)) return std::nullopt;
  const auto words = split(text.substr(kBegin.size()), ' ');
  if (words.size() != 6) return std::nullopt;
  MarksMarker out;
  out.sheet = static_cast<int>(to_integer(words[0]).value_or(0));
  for (std::size_t i = 0; i < 5; ++i) {
    TextScan in(words[i + 1]);
    const auto x = in.number(), y = in.number();
    if (!x || !y) return std::nullopt;
    (i < 4 ? out.marks.dots[i] : out.marks.second) = {*x, *y};
  }
  return out;
}

}  // namespace dotlane
