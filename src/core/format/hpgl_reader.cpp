#include "core/format/hpgl_reader.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numbers>
#include <optional>
#include <set>
#include <tuple>
#include <utility>

#include "core/format/chained.hpp"
#include "core/job/hpgl.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kUnit = 1 / kHpglPerMm;  // mm
constexpr double kPerDegree = std::numbers::pi / 180;
constexpr char kEscape = '\x1b', kEndOfText = '\x03';

const std::set<std::string>& known_first() {
  static const std::set<std::string> all{"IN", "DF", "SP", "PU", "PD", "PA", "PR", "IP", "SC",
                                         "RO", "PS", "BP", "NP", "PC", "CO", "VS", "LT", "IW"};
  return all;
}

/// Settings of the machine, and of fills and labels, which say nothing of where lines lie.
bool only_sets(const std::string& code) {
  static const std::set<std::string> all{
      "VS", "FS", "AS", "AP", "PW", "WU", "NP", "PS", "BP", "CO", "CT", "FT", "PT", "SM", "TL", "XT", "YT", "LA",
      "LO", "SI", "SR", "SL", "SD", "AD", "DI", "DR", "DV", "ES", "CA", "CS", "SS", "SA", "UC", "DT", "TD", "MC",
      "PG", "EC", "FR", "OA", "OC", "OE", "OF", "OH", "OI", "OO", "OP", "OS", "OW", "RF", "QL", "ST", "SV", "TR",
      "UL", "AC", "CR", "VA", "VN", "NR", "AF", "AH", "WD", "DP", "DC", "OD", "OG", "OK", "OL", "OT", "GP", "IM"};
  return all.contains(code);
}

bool is_letter(char c) { return (c >= 'A' && c <= 'Z') || (c >= 'a' && c <= 'z'); }
char upper(char c) { return static_cast<char>(c >= 'a' && c <= 'z' ? c - 'a' + 'A' : c); }

class HpglDrawing {
 public:
  HpglDrawing(const std::string& file_name, const ReadOptions& options) : file_(file_name), options_(options) {
    reset();
  }

  Result<Artwork> read(std::string_view bytes) {
    std::size_t at = 0;
    while (at < bytes.size() && fault_.empty()) {
      const char c = bytes[at];
      if (c == kEscape) {
        at = after_escape(bytes, at);
      } else if (at + 1 < bytes.size() && is_letter(c) && is_letter(bytes[at + 1])) {
        at = instruction(bytes, at);
      } else {
        ++at;
      }
      if (segments_ > options_.max_segments) fault_ = "hpgl-many-lines";
    }
    end_run();
    if (!fault_.empty()) return fail(ErrorKind::unsupported, {fault_}, file_);
    return finish();
  }

 private:
  // --- the text ---------------------------------------------------------------------------------------------------

  /// ESC . letter numbers ":" talks to the plotter, ESC % number letter changes the language.
  static std::size_t after_escape(std::string_view bytes, std::size_t at) {
    ++at;
    if (at < bytes.size() && bytes[at] == '.') {
      constexpr std::string_view kWithoutEnd = "()YZABEJKLNORSU";  // take no numbers, and no colon
      if (at + 1 < bytes.size() && kWithoutEnd.find(upper(bytes[at + 1])) != std::string_view::npos) return at + 2;
      const std::size_t end = bytes.find(':', at);
      return end == std::string_view::npos ? bytes.size() : end + 1;
    }
    if (at < bytes.size() && bytes[at] == 'E') return at + 1;
    while (at < bytes.size() && !is_letter(bytes[at])) ++at;
    return std::min(at + 1, bytes.size());
  }

  std::size_t instruction(std::string_view bytes, std::size_t at) {
    const std::string code{upper(bytes[at]), upper(bytes[at + 1])};
    at += 2;
    if (code == "LB") {
      std::size_t end = at;
      while (end < bytes.size() && bytes[end] != label_end_) ++end;
      if (end > at) texts_.emplace_back(printable(bytes.substr(at, end - at)));
      return std::min(end + 1, bytes.size());
    }
    if (code == "DT") {
      if (at < bytes.size() && bytes[at] != ';') label_end_ = bytes[at++];
      return at;
    }
    if (code == "PE") {
      const std::size_t end = std::min(bytes.find(';', at), bytes.size());
      packed(bytes.substr(at, end - at));
      return end;
    }
    if (code == "CO" || code == "BP") {  // with words in quotes
      bool quoted = false;
      while (at < bytes.size() && (quoted || bytes[at] != ';')) quoted ^= bytes[at++] == '"';
      return at;
    }
    std::vector<double> numbers;
    const std::size_t start = at;
    while (at < bytes.size() && !is_letter(bytes[at]) && bytes[at] != ';' && bytes[at] != kEscape) ++at;
    TextScan in(bytes.substr(start, at - start));
    while (const auto v = in.number()) numbers.push_back(*v);
    in.skip_separators();
    if (!in.done() && spoiled_++ == 0) {
      spoiled_name_ = code;
      spoiled_line_ = 1 + static_cast<std::size_t>(std::count(bytes.begin(), bytes.begin() + std::ptrdiff_t(at), '\n'));
    }
    carry_out(code, numbers);
    return at;
  }

  static std::string printable(std::string_view text) {
    std::string out;
    for (const char c : text) out += c >= ' ' && c < '\x7f' ? c : ' ';
    return out;
  }

  // --- what it says -----------------------------------------------------------------------------------------------

  void reset() {
    end_run();
    pen_ = 1, pen_down_ = relative_ = dashed_ = false;
    at_ = {};
    scale_.reset();
    label_end_ = kEndOfText;
    turn_ = 0;
  }

  void carry_out(const std::string& code, const std::vector<double>& n) {
    const auto get = [&](std::size_t i, double standard) { return i < n.size() ? n[i] : standard; };
    const auto pairs = [&](const auto& visit) {
      for (std::size_t i = 0; i + 1 < n.size(); i += 2) visit(Vec{n[i], n[i + 1]});
    };
    if (code == "IN" || code == "DF") {
      reset();
      if (code == "IN") p1_.reset(), p2_.reset();
    } else if (code == "PU" || code == "PD") {
      pen_down_ = code == "PD";
      if (!pen_down_) end_run();
      if (n.empty() && pen_down_ && polygon_ == Polygon::none) go(at_);  // a dot, unless it goes on
      pairs([&](Vec p) { go(relative_ ? at_ + p : p); });
    } else if (code == "PA" || code == "PR") {
      relative_ = code == "PR";
      pairs([&](Vec p) { go(relative_ ? at_ + p : p); });
    } else if (code == "SP") {
      end_run();
      pen_ = static_cast<int>(std::clamp(get(0, 0), 0.0, 255.0));
    } else if (code == "PC") {
      if (n.size() >= 4) colors_[static_cast<int>(std::clamp(n[0], 0.0, 255.0))] = color_of(n[1], n[2], n[3]);
    } else if (code == "LT") {
      const bool dashed = !n.empty() && n[0] != 0;
      if (dashed != dashed_) end_run();
      dashed_ = dashed;
    } else if (code == "RO") {
      end_run();
      turn_ = get(0, 0);
    } else if (code == "IP") {
      corners(n, {get(0, 0), get(1, 0)}, n.size() >= 4 ? std::optional(Vec{n[2], n[3]}) : std::nullopt);
    } else if (code == "SC") {
      end_run();
      scale_.reset();
      if (n.size() >= 4) scale_ = n;
      if (scale_ && !p1_ && !(n.size() > 4 && n[4] == 2)) unsure_ = true;
    } else if (code == "IW") {
      if (n.size() >= 4) ++windows_;
    } else if (code == "AA" || code == "AR") {
      if (n.size() >= 3) arc(code == "AR" ? at_ + Vec{n[0], n[1]} : Vec{n[0], n[1]}, n[2]);
    } else if (code == "AT" || code == "RT") {
      const Vec from = code == "RT" ? at_ : Vec{};
      if (n.size() >= 4) arc_through(from + Vec{n[0], n[1]}, from + Vec{n[2], n[3]});
    } else if (code == "CI") {
      circle(std::abs(get(0, 0)));
    } else if (code == "EA" || code == "RA" || code == "ER" || code == "RR") {
      const Vec to = code[1] == 'R' ? at_ + Vec{get(0, 0), get(1, 0)} : Vec{get(0, 0), get(1, 0)};
      if (n.size() >= 2) ring({at_, {to.x, at_.y}, to, {at_.x, to.y}}, code[0] == 'R');
    } else if (code == "EW" || code == "WG") {
      if (n.size() >= 3) wedge(n[0], n[1], n[2], code == "WG");
    } else if (code == "BZ" || code == "BR") {
      const Vec from = code == "BR" ? at_ : Vec{};
      Vec start = from;
      for (std::size_t i = 0; i + 5 < n.size(); i += 6) {
        curve(start + Vec{n[i], n[i + 1]}, start + Vec{n[i + 2], n[i + 3]}, start + Vec{n[i + 4], n[i + 5]});
        if (code == "BR") start = at_;
      }
    } else if (code == "PM") {
      polygon_mode(static_cast<int>(get(0, 0)));
    } else if (code == "EP" || code == "FP") {
      for (const auto& contour : buffer_) add(contour, code == "FP");
    } else if (!only_sets(code)) {
      ++unknown_[code];
    }
  }

  static Color color_of(double r, double g, double b) {
    const auto channel = [](double v) { return static_cast<std::uint8_t>(std::lround(std::clamp(v, 0.0, 255.0))); };
    return {channel(r), channel(g), channel(b)};
  }

  void corners(const std::vector<double>& n, Vec first, std::optional<Vec> second) {
    end_run();
    p1_.reset(), p2_.reset();
    if (n.size() < 2) return;
    p1_ = first, p2_ = second;
  }

  // --- where it lies ----------------------------------------------------------------------------------------------

  /// From what the file counts in to mm, y down.
  [[nodiscard]] Affine to_mm() const {
    Affine out;
    if (scale_) {
      const auto& s = *scale_;
      const Vec p1 = p1_.value_or(Vec{}), p2 = p2_.value_or(p1 + Vec{10'000, 7'200});
      const int type = s.size() > 4 ? static_cast<int>(s[4]) : 0;
      if (type == 2) {  // so many units a step, from a point
        out = Affine{s[1], 0, 0, s[3], p1.x - s[0] * s[1], p1.y - s[2] * s[3]};
      } else {
        const double width = s[1] - s[0], height = s[3] - s[2];
        double sx = width != 0 ? (p2.x - p1.x) / width : 1, sy = height != 0 ? (p2.y - p1.y) / height : 1;
        Vec spare;
        if (type == 1) {  // alike both ways, in the middle unless said
          const double least = std::min(std::abs(sx), std::abs(sy));
          const double left = s.size() > 5 ? s[5] : 50, bottom = s.size() > 6 ? s[6] : 50;
          spare = {(std::abs(sx) - least) * std::abs(width) * left / 100,
                   (std::abs(sy) - least) * std::abs(height) * bottom / 100};
          sx = std::copysign(least, sx), sy = std::copysign(least, sy);
        }
        out = Affine{
            sx, 0, 0, sy, p1.x + std::copysign(spare.x, sx) - s[0] * sx, p1.y + std::copysign(spare.y, sy) - s[2] * sy};
      }
    }
    const Affine up{kUnit, 0, 0, -kUnit, 0, 0};
    return turn_ != 0 ? up * Affine::rotate(turn_) * out : up * out;
  }

  // --- what is drawn ----------------------------------------------------------------------------------------------

  enum class Polygon { none, filling };

  [[nodiscard]] bool drawing() const { return pen_down_ || polygon_ == Polygon::filling; }

  Contour& run() {
    if (!run_) run_ = Contour{at_, {}, false};
    return *run_;
  }
  void go(Vec to) {
    if (drawing()) {
      run().segments.push_back(Segment::line(to));
      ++segments_;
    }
    at_ = to;
  }
  void curve(Vec c1, Vec c2, Vec to) {
    if (drawing()) {
      run().segments.push_back(Segment::cubic(c1, c2, to));
      ++segments_;
    }
    at_ = to;
  }
  void arc(Vec centre, double degrees) {
    const double radius = distance(centre, at_);
    degrees = std::clamp(degrees, -360.0, 360.0);
    const auto turned = [&](double by) {
      const Vec d = at_ - centre;
      const double c = std::cos(by * kPerDegree), s = std::sin(by * kPerDegree);
      return centre + Vec{d.x * c - d.y * s, d.x * s + d.y * c};
    };
    const Vec half = turned(degrees / 2), to = std::abs(degrees) >= 360 ? at_ : turned(degrees);
    if (drawing() && radius > 0 && degrees != 0) {
      auto& segments = run().segments;
      const double scale = to_mm().max_stretch();
      append_arc(segments, at_, radius, radius, 0, false, degrees > 0, half, scale);
      append_arc(segments, half, radius, radius, 0, false, degrees > 0, to, scale);
      segments_ += 4;
    }
    at_ = to;
  }
  void arc_through(Vec middle, Vec end) {
    const Vec a = middle - at_, b = end - at_;
    const double d = 2 * cross(a, b);
    if (std::abs(d) < 1e-9) return go(end);
    const double aa = dot(a, a), bb = dot(b, b);
    const Vec centre = at_ + Vec{(b.y * aa - a.y * bb) / d, (a.x * bb - b.x * aa) / d};
    const auto angle = [&](Vec p) { return std::atan2(p.y - centre.y, p.x - centre.x) / kPerDegree; };
    double span = std::fmod(angle(end) - angle(at_) + 720, 360);
    if (d < 0) span -= 360;  // clockwise
    arc(centre, span);
  }
  void circle(double radius) {
    if (!(radius > 0)) return;
    const Vec centre = at_;
    Contour out{centre + Vec{radius, 0}, {}, true};
    const double scale = to_mm().max_stretch();
    append_arc(out.segments, out.start, radius, radius, 0, false, true, centre - Vec{radius, 0}, scale);
    append_arc(out.segments, centre - Vec{radius, 0}, radius, radius, 0, false, true, out.start, scale);
    out.segments.back().end = out.start;
    closed(std::move(out), false);
  }
  void ring(const std::vector<Vec>& corners, bool filled) {
    Contour out{corners.front(), {}, true};
    for (std::size_t i = 1; i <= corners.size(); ++i)
      out.segments.push_back(Segment::line(corners[i % corners.size()]));
    closed(std::move(out), filled);
  }
  void wedge(double radius, double from, double sweep, bool filled) {
    const Vec centre = at_;
    const auto rim = [&](double degrees) {
      return centre + Vec{std::cos(degrees * kPerDegree), std::sin(degrees * kPerDegree)} * radius;
    };
    sweep = std::clamp(sweep, -360.0, 360.0);
    Contour out{centre, {Segment::line(rim(from))}, true};
    const double scale = to_mm().max_stretch(), r = std::abs(radius);
    append_arc(out.segments, rim(from), r, r, 0, false, sweep > 0, rim(from + sweep / 2), scale);
    append_arc(out.segments, rim(from + sweep / 2), r, r, 0, false, sweep > 0, rim(from + sweep), scale);
    out.segments.push_back(Segment::line(centre));
    closed(std::move(out), filled);
  }

  /// A closed figure is drawn whether the pen is down or not, and leaves the pen where it was.
  void closed(Contour contour, bool filled) {
    end_run();
    if (polygon_ == Polygon::filling) {
      buffer_.push_back(std::move(contour));
    } else {
      add(contour, filled);
    }
  }

  void end_run() {
    if (!run_) return;
    Contour contour = std::move(*run_);
    run_.reset();
    if (polygon_ == Polygon::filling) {
      if (contour.segments.empty()) return;
      if (!(contour.segments.back().end == contour.start)) contour.segments.push_back(Segment::line(contour.start));
      contour.closed = true;
      buffer_.push_back(std::move(contour));
    } else {
      add(contour, false);
    }
  }

  /// The pen is afterwards as it was before; closing the polygon takes it back to where that began.
  void polygon_mode(int mode) {
    end_run();
    if (mode == 0) {
      buffer_.clear();
      before_ = {at_, pen_down_};
    } else if (mode == 2) {
      std::tie(at_, pen_down_) = before_;
    }
    polygon_ = mode == 2 ? Polygon::none : Polygon::filling;
  }

  void add(const Contour& contour, bool filled) {
    if (pen_ == 0) return;
    Contour cleared{contour.start, {}, contour.closed};
    Vec from = contour.start;
    for (const Segment& s : contour.segments) {
      if (!s.straight || !(s.end == from)) cleared.segments.push_back(s);
      from = s.end;
    }
    if (cleared.segments.empty()) {
      ++dots_;
      return;
    }
    ArtLine line;
    line.id = "line-" + std::to_string(art_.lines.size() + 1);
    line.layer = "Pen " + std::to_string(pen_);
    line.path = transformed(Path{{std::move(cleared)}, FillRule::evenodd}, to_mm());
    line.dashed = dashed_;
    (filled ? line.fill : line.stroke) = color();
    art_.lines.push_back(std::move(line));
  }

  [[nodiscard]] Color color() const {
    if (const auto said = colors_.find(pen_); said != colors_.end()) return said->second;
    static constexpr std::array<Color, 8> kPens{Color{0, 0, 0}, {0, 0, 0},   {255, 0, 0},   {0, 255, 0},
                                                {255, 255, 0},  {0, 0, 255}, {255, 0, 255}, {0, 255, 255}};
    return pen_ < 8 ? kPens[static_cast<std::size_t>(pen_)] : far_color(pen_);
  }
  /// Pens beyond the carousel: told apart by their hue.
  static Color far_color(int pen) {
    const double turn = pen * 137.508 * kPerDegree;  // the golden angle
    const auto channel = [&](double at) { return 128 + 100 * std::cos(turn + at * 120 * kPerDegree); };
    return color_of(channel(0), channel(1), channel(2));
  }

  /// Packed polylines: numbers in base 64 (or 32 with 7 bits), relative unless "=" stands before them, low digits
  /// first; the last digit of a number lies in a higher range, the lowest bit is its sign.
  void packed(std::string_view text) {
    bool seven = false, up = false, absolute = false;
    int fraction = 0;
    std::size_t at = 0;
    const auto number = [&]() -> std::optional<double> {
      double value = 0, place = 1;
      for (; at < text.size(); ++at) {
        int c = static_cast<unsigned char>(text[at]);
        if (seven) c &= 127;
        const int low = 63, last = seven ? 95 : 191, base = seven ? 32 : 64;
        if (c < low || (c > 126 && c < last && !seven)) continue;  // spaces and other controls between digits
        const bool ends = c >= last;
        value += place * (c - (ends ? last : low));
        place *= base;
        if (ends) {
          ++at;
          const double whole = std::floor(value / 2);
          return (std::fmod(value, 2) != 0 ? -whole : whole) / std::exp2(fraction);
        }
      }
      return std::nullopt;
    };
    while (at < text.size()) {
      const char c = seven ? static_cast<char>(text[at] & 127) : text[at];
      if (c == '7') {
        seven = true, ++at;
      } else if (c == '<') {
        up = true, ++at;
      } else if (c == '=') {
        absolute = true, ++at;
      } else if (c == '>') {
        ++at;
        fraction = static_cast<int>(std::clamp(number().value_or(0) * std::exp2(fraction), -30.0, 30.0));
      } else if (c == ':') {
        ++at;
        end_run();
        pen_ = static_cast<int>(std::clamp(number().value_or(0) * std::exp2(fraction), 0.0, 255.0));
      } else if (static_cast<unsigned char>(c) < 63) {
        ++at;
      } else {
        const auto x = number(), y = x ? number() : std::nullopt;
        if (!y) break;
        if (up) end_run();
        pen_down_ = !up;
        go(absolute ? Vec{*x, *y} : at_ + Vec{*x, *y});
        up = absolute = false;
      }
    }
    pen_down_ = true;
  }

  // --- what is said of it -----------------------------------------------------------------------------------------

  void note(std::string code, Severity severity, Figures figures) {
    art_.notes.push_back({std::move(code), severity, std::move(figures)});
  }

  Result<Artwork> finish() {
    constexpr double kLarge = 1e5;  // mm
    Box bounds;
    for (const auto& line : art_.lines) bounds.add(bounds_of(line.path));
    const bool lost = !art_.lines.empty() && !(std::max(bounds.width(), bounds.height()) <= kLarge);
    if (lost) return fail(ErrorKind::unsupported, {"hpgl-too-wide"}, file_);
    for (auto& line : art_.lines) {
      line.path = with_meeting_ends_closed(transformed(line.path, Affine::move(-bounds.x0, -bounds.y0)));
    }
    art_.lines = chained(std::move(art_.lines));
    if (!art_.lines.empty()) art_.width_mm = bounds.width(), art_.height_mm = bounds.height();
    art_.unit_source = UnitSource::stated;
    art_.per_inch = kMmPerInch / kUnit;
    if (unsure_) note("scale-unknown", Severity::warning, {{"width", art_.width_mm}, {"height", art_.height_mm}});
    if (!texts_.empty())
      note("text-left-out", Severity::warning,
           {{"texts", static_cast<double>(texts_.size())}, {"first", texts_.front().substr(0, 40)}});
    if (windows_ > 0) note("clip-ignored", Severity::warning, {{"clips", 1.0 * windows_}});
    int others = 0;
    for (const auto& [code, count] : unknown_) others += count;
    if (others > 0)
      note("kinds-left-out", Severity::warning, {{"objects", 1.0 * others}, {"first", unknown_.begin()->first}});
    if (spoiled_ > 0)
      note("attribute-ignored", Severity::warning,
           {{"count", 1.0 * spoiled_}, {"line", static_cast<double>(spoiled_line_)}, {"name", spoiled_name_}});
    if (dots_ > 0) note("dots-left-out", Severity::warning, {{"dots", 1.0 * dots_}});
    if (art_.lines.empty()) note("nothing-drawn", Severity::warning, {});
    return std::move(art_);
  }

  const std::string& file_;
  const ReadOptions& options_;
  Artwork art_;
  std::string fault_;  // its code
  int pen_ = 1;
  bool pen_down_ = false, relative_ = false, dashed_ = false;
  Vec at_;
  std::optional<Vec> p1_, p2_;
  std::optional<std::vector<double>> scale_;
  double turn_ = 0;
  char label_end_ = kEndOfText;
  Polygon polygon_ = Polygon::none;
  std::optional<Contour> run_;
  std::vector<Contour> buffer_;
  std::pair<Vec, bool> before_{{}, false};  // the pen, before the polygon
  std::map<int, Color> colors_;
  std::size_t segments_ = 0;
  std::vector<std::string> texts_;
  std::map<std::string, int> unknown_;
  std::string spoiled_name_;
  std::size_t spoiled_line_ = 0;
  int spoiled_ = 0, dots_ = 0, windows_ = 0;
  bool unsure_ = false;
};

}  // namespace

bool looks_like_hpgl(std::string_view bytes) {
  std::size_t at = 0;
  while (at < bytes.size() && (is_space(bytes[at]) || bytes[at] == ';')) ++at;
  if (at < bytes.size() && bytes[at] == kEscape)
    return at + 1 < bytes.size() && (bytes[at + 1] == '.' || bytes[at + 1] == '%' || bytes[at + 1] == 'E');
  if (at + 1 >= bytes.size()) return false;
  if (!known_first().contains({upper(bytes[at]), upper(bytes[at + 1])})) return false;
  at += 2;
  return at >= bytes.size() || bytes[at] != '=';
}

Result<Artwork> read_hpgl(std::string_view bytes, const std::string& file_name, const ReadOptions& options) {
  if (bytes.size() > options.max_bytes)
    return fail(ErrorKind::unsupported, {"drawing-too-large", {{"mb", figure(options.max_bytes >> 20)}}}, file_name);
  return HpglDrawing(file_name, options).read(bytes);
}

}  // namespace dotlane
