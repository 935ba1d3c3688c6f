#include "core/typed_number.hpp"

#include <algorithm>
#include <array>
#include <cctype>
#include <cmath>
#include <numeric>
#include <optional>
#include <utility>
#include <vector>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr int kDeepest = 50;  // brackets in brackets
constexpr double kMost = 1e9, kMmPerFoot = 12 * kMmPerInch;

using Named = std::pair<std::string_view, double>;
constexpr std::array kUnits{Named{"mm", 1.0},        Named{"cm", 10.0},           Named{"m", 1000.0},
                            Named{"in", kMmPerInch}, Named{"inch", kMmPerInch},   Named{"inches", kMmPerInch},
                            Named{"\"", kMmPerInch}, Named{"″", kMmPerInch},      Named{"”", kMmPerInch},
                            Named{"'", kMmPerFoot},  Named{"′", kMmPerFoot},      Named{"’", kMmPerFoot},
                            Named{"ft", kMmPerFoot}, Named{"pt", kMmPerInch / 72}};
constexpr std::array kFractions{Named{"½", 1.0 / 2}, Named{"¼", 1.0 / 4}, Named{"¾", 3.0 / 4},
                                Named{"⅓", 1.0 / 3}, Named{"⅔", 2.0 / 3}, Named{"⅛", 1.0 / 8},
                                Named{"⅜", 3.0 / 8}, Named{"⅝", 5.0 / 8}, Named{"⅞", 7.0 / 8}};

struct Stop {
  TypedFault fault;
  std::size_t at;
};

class Reader {
 public:
  Reader(std::string_view text, std::string_view unit, bool lengths)
      : text_(text), own_unit_(unit), lengths_(lengths) {}

  /// The sum with its open numbers in the unit that fits them, else in `unit_mm`.
  double all(double unit_mm) {
    skip();
    if (done()) throw Stop{TypedFault::empty, at_};
    const double out = sum(unit_mm).value;
    skip();
    if (!done()) throw Stop{peek() == ')' ? TypedFault::bracket : TypedFault::unknown_unit, at_};
    return out;
  }
  [[nodiscard]] std::string word_at(std::size_t at) const {
    std::size_t end = at;
    while (end < text_.size() && !is_space(text_[end])) ++end;
    return std::string(text_.substr(at, end - at));
  }

 private:
  struct Term {
    double value = 0;
    double unit = 0;  // the last one named in it: then the value is in mm; 0: it is in a unit still open
  };

  [[nodiscard]] bool done() const { return at_ >= text_.size(); }
  [[nodiscard]] char peek() const { return done() ? '\0' : text_[at_]; }
  void skip() {
    while (!done()) {
      if (is_space(text_[at_])) {
        ++at_;
      } else if (text_.substr(at_).starts_with("\xC2\xA0")) {  // a space that does not break
        at_ += 2;
      } else {
        break;
      }
    }
  }
  bool take(std::string_view what) {
    skip();
    if (!text_.substr(at_).starts_with(what)) return false;
    at_ += what.size();
    return true;
  }

  /// Open numbers are in the unit before them, else in the next one after, else in `unit_mm`.
  Term sum(double unit_mm) {
    std::vector<std::pair<int, Term>> terms{{1, product()}};
    for (;;) {
      if (take("+")) {
        terms.emplace_back(1, product());
      } else if (take("-") || take("−") || take("–")) {
        terms.emplace_back(-1, product());
      } else if (terms.back().second.unit == kMmPerFoot && (skip(), std::isdigit(static_cast<unsigned char>(peek())))) {
        terms.emplace_back(1, product());  // 1' 6"
      } else {
        break;
      }
    }
    Term out;
    const auto named = std::find_if(terms.begin(), terms.end(), [](const auto& t) { return t.second.unit > 0; });
    double unit = !lengths_ ? 1 : named == terms.end() ? unit_mm : named->second.unit;
    for (const auto& [sign, term] : terms) {
      if (term.unit > 0) unit = out.unit = term.unit;
      out.value += sign * term.value * (term.unit > 0 ? 1 : unit);
    }
    if (std::abs(out.value) > kMost) throw Stop{TypedFault::too_large, 0};
    return out;
  }

  Term product() {
    Term out = factor();
    for (;;) {
      skip();
      const std::size_t at = at_;
      const bool times = take("*") || take("×") || take("x"), by = !times && take("/");
      if (!times && !by) return out;
      const Term next = factor();
      if (next.unit > 0 && (by || out.unit > 0)) throw Stop{TypedFault::length_twice, at};
      if (by && next.value == 0) throw Stop{TypedFault::by_zero, at};
      out.value = times ? out.value * next.value : out.value / next.value;
      out.unit = std::max(out.unit, next.unit);
    }
  }

  Term factor() {
    double sign = 1;
    for (;;) {
      if (take("-") || take("−")) {
        sign = -sign;
      } else if (!take("+")) {
        break;
      }
    }
    Term out;
    const std::size_t at = at_;
    if (take("(")) {
      if (++depth_ > kDeepest) throw Stop{TypedFault::bracket, at};
      out = sum(1);
      --depth_;
      if (!take(")")) throw Stop{TypedFault::bracket, at};
    } else {
      out.value = mixed();
    }
    if (const auto unit = unit_here()) {
      if (out.unit > 0) throw Stop{TypedFault::length_twice, at_};
      out.value *= *unit;
      if (lengths_) out.unit = *unit;
    }
    out.value *= sign;
    return out;
  }

  /// "5", "5.5", "1/2", "5 1/2", "5½", "½".
  double mixed() {
    skip();
    const std::size_t at = at_;
    if (const auto part = vulgar()) return *part;
    const auto whole = digits();
    if (!whole) throw Stop{TypedFault::number_expected, at};
    if (const auto part = vulgar()) return *whole + *part;
    if (peek() == '/' && std::floor(*whole) == *whole) {  // "3/8", without spaces: its unit is that of the fraction
      const std::size_t slash = at_++;
      const auto below = whole_number();
      if (below && *below == 0) throw Stop{TypedFault::by_zero, slash};
      if (below) return *whole / *below;
      at_ = slash;
    }
    // "5 1/2" and "5-1/2": a fraction of whole numbers close behind a whole number. With spaces "-" takes away.
    const std::size_t before = at_;
    if (!done() && (is_space(peek()) || peek() == '-')) {
      if (peek() == '-') {
        ++at_;
      } else {
        skip();
      }
      const auto top = whole_number();
      if (top && peek() == '/') {
        const std::size_t slash = at_++;
        const auto below = whole_number();
        if (below && *below == 0) throw Stop{TypedFault::by_zero, slash};
        if (below && *top < *below && std::floor(*whole) == *whole) return *whole + *top / *below;
      }
      at_ = before;
    }
    return *whole;
  }

  std::optional<double> vulgar() {
    const std::size_t before = at_;
    skip();
    for (const auto& [mark, value] : kFractions) {
      if (take(mark)) return value;
    }
    at_ = before;
    return std::nullopt;
  }

  std::optional<double> whole_number() {
    if (done() || !std::isdigit(static_cast<unsigned char>(peek()))) return std::nullopt;
    const std::size_t from = at_;
    const auto out = digits();
    return text_.substr(from, at_ - from).find('.') == std::string_view::npos ? out : std::nullopt;
  }

  std::optional<double> digits() {
    std::size_t end = at_;
    bool any = false, point = false;
    while (end < text_.size() &&
           (std::isdigit(static_cast<unsigned char>(text_[end])) || (!point && text_[end] == '.'))) {
      point = point || text_[end] == '.';
      any = any || text_[end] != '.';
      ++end;
    }
    if (!any) return std::nullopt;
    const auto value = to_number(text_.substr(at_, end - at_));
    if (!value) throw Stop{TypedFault::too_large, at_};
    at_ = end;
    return value;
  }

  std::optional<double> unit_here() {
    const std::size_t before = at_;
    skip();
    if (!lengths_) {
      if (!own_unit_.empty() && take(own_unit_)) return 1.0;
      at_ = before;
      return std::nullopt;
    }
    for (const auto& [mark, mm] : kUnits) {
      if (!std::isalpha(static_cast<unsigned char>(mark.front())) && take(mark)) return mm;
    }
    std::size_t end = at_;
    while (end < text_.size() && std::isalpha(static_cast<unsigned char>(text_[end]))) ++end;
    const std::string word = lower_case(text_.substr(at_, end - at_));
    if (word.empty() || word == "x") {
      at_ = before;
      return std::nullopt;
    }
    for (const auto& [mark, mm] : kUnits) {
      if (word != mark) continue;
      at_ = end;
      return mm;
    }
    throw Stop{TypedFault::unknown_unit, at_};
  }

  std::string_view text_, own_unit_;
  bool lengths_;
  std::size_t at_ = 0;
  int depth_ = 0;  // brackets that are open
};

TypedNumber read(std::string_view text, std::string_view unit, bool lengths, double unit_mm) {
  Reader reader(text, unit, lengths);
  TypedNumber out;
  try {
    out.value = reader.all(unit_mm);
  } catch (const Stop& stop) {
    out.fault = stop.fault, out.at = stop.at;
    out.word = reader.word_at(stop.at);
  }
  return out;
}

}  // namespace

TypedNumber typed_length(std::string_view text, double unit_mm) { return read(text, {}, true, unit_mm); }

TypedNumber typed_number(std::string_view text, std::string_view unit) { return read(text, unit, false, 1); }

std::string as_fraction(double value, int parts) {
  const auto steps = static_cast<long long>(std::llround(std::abs(value) * parts));
  if (steps == 0) return "0";
  const long long whole = steps / parts, rest = steps % parts;
  std::string out = value < 0 ? "-" : "";
  if (whole > 0 || rest == 0) out += std::to_string(whole);
  if (rest == 0) return out;
  const long long common = std::gcd(rest, static_cast<long long>(parts));
  if (whole > 0) out += " ";
  return out + std::to_string(rest / common) + "/" + std::to_string(parts / common);
}

}  // namespace dotlane
