#include "core/text/stroke_face.hpp"

#include <algorithm>
#include <cstdio>
#include <numbers>

#include "core/geometry/measure.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

// Hershey's units: his simplex capitals are 21 high, from 12 above the middle to 9 below it.
constexpr double kUnitsPerEm = 32, kBaseline = 9;
constexpr char32_t kFirst = 32;
constexpr std::size_t kMostForms = 4096, kMostPairs = 20'000;

/// The pen's points as a smooth stroke: the data draw rounds as short straight steps. Steps of kLong units and more are
/// meant straight; a turn sharper than kSharp is a corner.
constexpr double kLong = 6.5 / kUnitsPerEm, kSharp = 50 * std::numbers::pi / 180;

Contour smooth_stroke(const std::vector<Vec>& p) {
  Contour out;
  const std::size_t n = p.size();
  out.start = p.front();
  out.closed = n > 2 && p.front() == p.back();
  auto step = [&](std::size_t i) { return p[i + 1] - p[i]; };
  // The direction of the stroke where it passes a point; nothing at ends and corners.
  auto tangent = [&](std::size_t i) -> Vec {
    const bool end = i == 0 || i + 1 == n;
    if (end && !out.closed) return {};
    const Vec a = step(end ? n - 2 : i - 1), b = step(end ? 0 : i);
    if (std::abs(std::atan2(cross(a, b), dot(a, b))) > kSharp) return {};
    const bool long_a = norm(a) >= kLong, long_b = norm(b) >= kLong;
    const Vec way = long_a && long_b ? Vec{} : long_a ? a : long_b ? b : a * (1 / norm(a)) + b * (1 / norm(b));
    return norm(way) > 0 ? way * (1 / norm(way)) : way;
  };
  for (std::size_t i = 0; i + 1 < n; ++i) {
    const Vec way = step(i), from = tangent(i), to = tangent(i + 1);
    const double third = norm(way) / 3;
    const bool bends = norm(way) < kLong && (norm(from) > 0 || norm(to) > 0);
    out.segments.push_back(bends ? Segment::cubic(norm(from) > 0 ? p[i] + from * third : p[i] + way * (1.0 / 3),
                                                  norm(to) > 0 ? p[i + 1] - to * third : p[i + 1] - way * (1.0 / 3),
                                                  p[i + 1])
                                 : Segment::line(p[i + 1]));
  }
  return out;
}

class StrokeFace final : public Face {
 public:
  StrokeFace(const std::string& name, std::vector<Glyph> forms) : forms_(std::move(forms)) {
    about_.name = name;
    about_.single_stroke = true;
    about_.glyphs = forms_.size();
    about_.cap_height = 21 / kUnitsPerEm;
    about_.ascender = 25 / kUnitsPerEm;
    about_.descender = 7 / kUnitsPerEm;
    about_.line_distance = 36 / kUnitsPerEm;
    if (const auto h = glyph_for(U'H')) {
      const double top = bounds_of(forms_[*h - 1].path).y0;
      if (top < 0) about_.cap_height = -top;
    }
  }
  // Ids count from 1, as 0 means no form.
  [[nodiscard]] const Glyph& glyph(unsigned id) const override {
    static const Glyph none;
    return id >= 1 && id <= forms_.size() ? forms_[id - 1] : none;
  }
  [[nodiscard]] std::string glyph_name(unsigned id) const override {
    char text[16];
    std::snprintf(text, sizeof text, "uni%04X", static_cast<unsigned>(kFirst) + id - 1);
    return text;
  }
  [[nodiscard]] std::optional<unsigned> glyph_named(const std::string& name) const override {
    for (unsigned id = 1; id <= forms_.size(); ++id) {
      if (glyph_name(id) == name) return id;
    }
    return std::nullopt;
  }
  [[nodiscard]] std::optional<unsigned> glyph_for(char32_t c) const override {
    if (c < kFirst || c - kFirst >= forms_.size() || c == 127) return std::nullopt;
    return static_cast<unsigned>(c - kFirst) + 1;
  }
  [[nodiscard]] std::vector<std::pair<char32_t, unsigned>> characters() const override {
    std::vector<std::pair<char32_t, unsigned>> out;
    for (char32_t c = kFirst; c < kFirst + forms_.size(); ++c) {
      if (const auto id = glyph_for(c)) out.emplace_back(c, *id);
    }
    return out;
  }
  [[nodiscard]] std::vector<ShapedGlyph> shape(std::u32string_view text, const TextRun& run) const override {
    std::vector<ShapedGlyph> out;
    for (std::size_t i = run.first; i < std::min(run.last, text.size()); ++i) {
      const auto id = glyph_for(text[i]);
      out.push_back({id.value_or(0), i, {}, id ? forms_[*id - 1].advance : 0});
    }
    if (run.right_to_left) std::reverse(out.begin(), out.end());
    return out;
  }

 private:
  std::vector<Glyph> forms_;
};

}  // namespace

Result<std::shared_ptr<const Face>> open_stroke_face(const std::string& text, const std::string& name,
                                                     const std::string& place) {
  std::vector<Glyph> forms;
  std::size_t line = 1, at = 0;
  auto broken = [&](const char* what) {
    return fail(ErrorKind::malformed, {what}, place + ":" + std::to_string(line));
  };
  while (at < text.size()) {
    if (text[at] == '\n' || text[at] == '\r') {
      line += text[at++] == '\n';
      continue;
    }
    if (text.size() - at < 8) return broken("hershey-cut-short");
    const auto pairs = to_integer(trimmed(std::string_view(text).substr(at + 5, 3)));
    if (!pairs || *pairs < 1 || *pairs > static_cast<std::int64_t>(kMostPairs)) return broken("hershey-points");
    at += 8;
    // Long records run over several lines.
    std::string letters;
    const std::size_t wanted = static_cast<std::size_t>(*pairs) * 2;
    while (at < text.size() && letters.size() < wanted) {
      if (text[at] == '\n') ++line;
      if (text[at] != '\n' && text[at] != '\r') letters += text[at];
      ++at;
    }
    if (letters.size() < wanted) return broken("hershey-cut-short");
    for (const char c : letters) {
      if (c < ' ' || c > '~') return broken("hershey-coordinate");
    }
    const int left = letters[0] - 'R', right = letters[1] - 'R';
    Glyph glyph;
    glyph.advance = std::max(0, right - left) / kUnitsPerEm;
    std::vector<Vec> stroke;
    auto lift = [&] {
      if (stroke.size() > 1) glyph.path.contours.push_back(smooth_stroke(stroke));
      stroke.clear();
    };
    for (std::size_t i = 2; i + 1 < letters.size(); i += 2) {
      if (letters[i] == ' ' && letters[i + 1] == 'R') {
        lift();
        continue;
      }
      const Vec p{(letters[i] - 'R' - left) / kUnitsPerEm, (letters[i + 1] - 'R' - kBaseline) / kUnitsPerEm};
      if (stroke.empty() || !(stroke.back() == p)) stroke.push_back(p);
    }
    lift();
    forms.push_back(std::move(glyph));
    if (forms.size() > kMostForms) return broken("hershey-forms");
  }
  if (forms.empty()) return fail(ErrorKind::malformed, {"hershey-empty"}, place);
  return std::make_shared<const StrokeFace>(name, std::move(forms));
}

}  // namespace dotlane
