#include "core/format/dxf_reader.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <map>
#include <numbers>
#include <optional>
#include <set>

#include "core/format/chained.hpp"
#include "core/format/dxf_groups.hpp"
#include "core/geometry/measure.hpp"
#include "core/geometry/nurbs.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kRadians = std::numbers::pi / 180;
constexpr int kByBlock = 0, kByLayer = 256;
constexpr double kOnto = 1e-12;

/// Millimetres of a unit, by the value of $INSUNITS; nothing where it is not said.
std::optional<double> mm_of_unit(int unit) {
  static const std::map<int, double> kUnits{{1, 25.4},    {2, 304.8},  {4, 1},      {5, 10},    {6, 1000},
                                            {8, 25.4e-6}, {9, 0.0254}, {10, 914.4}, {11, 1e-7}, {12, 1e-6},
                                            {13, 1e-3},   {14, 100},   {15, 1e4},   {16, 1e5},  {21, 304.8006096}};
  const auto found = kUnits.find(unit);
  return found == kUnits.end() ? std::nullopt : std::optional(found->second);
}

struct DxfLayer {
  int color = 7;
  std::optional<Color> exact;
  std::string line_type;
  bool hidden = false;
};

struct DxfBlock {
  Vec base;
  std::vector<DxfRecord> records;
};

/// Thrown inside the reader only.
struct DxfRefusal {
  Error error;
};

class DxfReader {
 public:
  DxfReader(const std::string& file, const ReadOptions& options) : file_(file), options_(options) {}

  Artwork read(const std::vector<DxfGroup>& groups) {
    for (std::size_t i = 0; i < groups.size(); ++i) {
      if (groups[i].code == 9) read_variable(groups, i);
    }
    split(groups);
    if (sections_ == 0) refuse(ErrorKind::malformed, {"dxf-no-section"}, 1);
    Around around;
    around.map = Affine::scale(unit_mm_.value_or(1), -unit_mm_.value_or(1));
    draw(entities_, around, 0);
    finish();
    return std::move(art_);
  }

 private:
  /// What an entity takes from the block reference that it is in.
  struct Around {
    Affine map;
    std::optional<Color> color;
    std::string layer, line_type;
  };

  const std::string& file_;
  const ReadOptions& options_;
  std::optional<double> unit_mm_;
  std::map<std::string, DxfLayer, std::less<>> layers_;
  std::set<std::string, std::less<>> dashed_types_;
  std::map<std::string, DxfBlock, std::less<>> blocks_;
  std::vector<DxfRecord> entities_;
  std::vector<std::string> open_blocks_;
  std::size_t sections_ = 0, instances_ = 0, segments_ = 0;
  int hidden_ = 0, dots_ = 0, images_ = 0, lost_ = 0, left_out_ = 0, spoiled_ = 0;
  std::vector<std::string> texts_;
  std::map<std::string, int> unknown_;
  std::map<std::string, int> kinds_;
  std::size_t lost_line_ = 0, left_out_line_ = 0, spoiled_line_ = 0;
  std::string lost_name_, left_out_name_, spoiled_name_;
  Artwork art_;

  [[noreturn]] void refuse(ErrorKind kind, Said said, std::size_t line) const {
    throw DxfRefusal{{kind, std::move(said), file_ + ":" + std::to_string(line)}};
  }

  void read_variable(const std::vector<DxfGroup>& groups, std::size_t at) {
    if (groups[at].value != "$INSUNITS" || at + 1 >= groups.size() || groups[at + 1].code != 70) return;
    const auto unit = to_integer(groups[at + 1].value);
    if (unit) unit_mm_ = mm_of_unit(static_cast<int>(*unit));
  }

  /// Sections, tables and blocks taken apart.
  void split(const std::vector<DxfGroup>& groups) {
    std::string_view section;
    DxfBlock* block = nullptr;
    for (std::size_t i = 0; i < groups.size();) {
      std::size_t end = i + 1;
      while (end < groups.size() && groups[end].code != 0) ++end;
      if (groups[i].code != 0) {  // before the first one
        i = end;
        continue;
      }
      const DxfRecord record(groups.data() + i, groups.data() + end);
      if (record.kind() == "SECTION") {
        section = record.text(2);
        ++sections_;
      } else if (record.kind() == "ENDSEC") {
        section = {};
      } else if (section == "TABLES") {
        read_table_entry(record);
      } else if (section == "BLOCKS" && record.kind() == "BLOCK") {
        block = &blocks_[std::string(record.text(2))];
        block->base = {record.number(10, 0), record.number(20, 0)};
      } else if (section == "BLOCKS" && record.kind() == "ENDBLK") {
        block = nullptr;
      } else if (section == "BLOCKS" && block) {
        block->records.push_back(record);
      } else if (section == "ENTITIES") {
        entities_.push_back(record);
      }
      i = end;
    }
  }

  void read_table_entry(const DxfRecord& record) {
    if (record.kind() == "LAYER") {
      DxfLayer& layer = layers_[std::string(record.text(2))];
      const int color = record.integer(62, 7);
      constexpr int kFrozen = 1;
      layer.color = std::abs(color);
      layer.exact = exact_color(record);
      layer.line_type = record.text(6);
      layer.hidden = color < 0 || (record.integer(70, 0) & kFrozen);
    } else if (record.kind() == "LTYPE" && record.integer(73, 0) > 0) {
      dashed_types_.insert(upper(record.text(2)));
    }
  }

  static std::string upper(std::string_view text) {
    std::string out(text);
    std::transform(out.begin(), out.end(), out.begin(),
                   [](unsigned char c) { return static_cast<char>(std::toupper(c)); });
    return out;
  }

  static std::optional<Color> exact_color(const DxfRecord& record) {
    if (!record.has(420)) return std::nullopt;
    const auto rgb = static_cast<unsigned>(record.integer(420, 0));
    return Color{static_cast<std::uint8_t>(rgb >> 16), static_cast<std::uint8_t>(rgb >> 8),
                 static_cast<std::uint8_t>(rgb)};
  }

  // --- entities --------------------------------------------------------------------------------------------------

  void draw(const std::vector<DxfRecord>& records, const Around& around, int depth) {
    for (std::size_t i = 0; i < records.size(); ++i) {
      const DxfRecord& r = records[i];
      std::size_t last = i;
      if (r.kind() == "POLYLINE" || (r.kind() == "INSERT" && r.integer(66, 0) == 1)) {
        while (last + 1 < records.size() && records[last].kind() != "SEQEND" &&
               (records[last + 1].kind() == "VERTEX" || records[last + 1].kind() == "ATTRIB" ||
                records[last + 1].kind() == "SEQEND"))
          ++last;
      }
      visit(r, records, i, last, around, depth);
      i = last;
    }
  }

  void visit(const DxfRecord& r, const std::vector<DxfRecord>& records, std::size_t first, std::size_t last,
             const Around& around, int depth) {
    const std::string_view kind = r.kind();
    std::string layer(r.text(8));
    if ((layer.empty() || layer == "0") && !around.layer.empty()) layer = around.layer;
    const auto known = layers_.find(layer);
    constexpr int kPaperSpace = 1;
    if (r.integer(67, 0) == kPaperSpace) return;
    if (r.integer(60, 0) == 1 || (known != layers_.end() && known->second.hidden)) {
      ++hidden_;
      return;
    }
    if (kind == "INSERT") return insert(r, layer, around, depth);
    if (kind == "TEXT" || kind == "MTEXT" || kind == "ATTDEF" || kind == "ATTRIB") {
      texts_.emplace_back(r.text(1));
      return;
    }
    if (kind == "POINT") return void(++dots_);
    if (kind == "IMAGE") return void(++images_);
    static const std::set<std::string_view> kNothingDrawn{"VIEWPORT", "SEQEND", "VERTEX", "ATTRIB", "ENDBLK"};
    if (kNothingDrawn.contains(kind)) return;
    std::optional<Path> path = outline(r, records, first, last);
    if (!path) {
      ++unknown_[std::string(kind)];
      return;
    }
    if (path->contours.empty()) return note_spoiled(r);
    const bool own_plane = kind == "LINE" || kind == "SPLINE" || kind == "ELLIPSE" || kind == "3DFACE";
    Path drawn = transformed(*path, own_plane ? around.map : around.map * plane_of(r));
    for (const auto& contour : drawn.contours) {
      bool finite = is_finite(contour.start);
      for (const auto& s : contour.segments) finite = finite && is_finite(s.end) && is_finite(s.c1) && is_finite(s.c2);
      if (!finite) return note_left_out(r);
    }
    ArtLine line;
    line.path = with_meeting_ends_closed(std::move(drawn));
    if (line.path.contours.empty()) return;
    segments_ += segment_count(line.path);
    if (segments_ > options_.max_segments)
      refuse(ErrorKind::unsupported, {"drawing-segments", {{"most", figure(options_.max_segments)}}}, r.line());
    line.id = lower_case(kind) + "-" + std::to_string(++kinds_[std::string(kind)]);
    line.layer = layer;
    const Color color = color_of(r, known == layers_.end() ? nullptr : &known->second, around);
    kind == "SOLID" || kind == "TRACE" ? line.fill = color : line.stroke = color;
    line.dashed = dashed(r, known == layers_.end() ? nullptr : &known->second, around);
    art_.lines.push_back(std::move(line));
  }

  [[nodiscard]] Color color_of(const DxfRecord& r, const DxfLayer* layer, const Around& around) const {
    if (const auto exact = exact_color(r)) return *exact;
    const int index = r.integer(62, kByLayer);
    if (index == kByBlock) return around.color.value_or(Color{0, 0, 0});
    if (index > 0 && index < kByLayer) return dxf_color(index);
    return !layer ? Color{0, 0, 0} : layer->exact.value_or(dxf_color(layer->color));
  }

  [[nodiscard]] bool dashed(const DxfRecord& r, const DxfLayer* layer, const Around& around) const {
    std::string type = upper(r.text(6));
    if (type == "BYBLOCK") type = upper(around.line_type);
    if (type.empty() || type == "BYLAYER") type = layer ? upper(layer->line_type) : std::string();
    return dashed_types_.contains(type);
  }

  /// The plane that an entity is drawn in, seen from above (the format's "arbitrary axis algorithm").
  static Affine plane_of(const DxfRecord& r) {
    const double nx = r.number(210, 0), ny = r.number(220, 0), nz = r.number(230, 1);
    const double n = std::sqrt(nx * nx + ny * ny + nz * nz);
    if (!(n > kOnto)) return {};
    const double x = nx / n, y = ny / n, z = nz / n;
    constexpr double kNear = 1.0 / 64;
    std::array<double, 3> ax{};
    if (std::abs(x) < kNear && std::abs(y) < kNear) {
      ax = {z, 0, -x};  // Y x N
    } else {
      ax = {-y, x, 0};  // Z x N
    }
    const double long_ = std::sqrt(ax[0] * ax[0] + ax[1] * ax[1] + ax[2] * ax[2]);
    for (double& v : ax) v /= long_;
    // N x Ax
    const double bx = y * ax[2] - z * ax[1], by = z * ax[0] - x * ax[2];
    const double elevation = r.number(38, r.number(30, 0));
    return {ax[0], ax[1], bx, by, x * elevation, y * elevation};
  }

  void insert(const DxfRecord& r, const std::string& layer, const Around& around, int depth) {
    const std::string name(r.text(2));
    const auto found = blocks_.find(name);
    if (found == blocks_.end()) {
      if (lost_++ == 0) lost_line_ = r.line(), lost_name_ = name.substr(0, 40);
      return;
    }
    if (depth > options_.max_depth || std::find(open_blocks_.begin(), open_blocks_.end(), name) != open_blocks_.end())
      refuse(ErrorKind::malformed, {"dxf-block-in-itself", {{"block", name.substr(0, 40)}}}, r.line());
    Around inside;
    inside.layer = layer;
    inside.color = color_of(r, layer_of(layer), around);
    inside.line_type = r.text(6).empty() || upper(r.text(6)) == "BYLAYER"
                           ? (layer_of(layer) ? layer_of(layer)->line_type : std::string())
                           : std::string(r.text(6));
    const double sx = r.number(41, 1), sy = r.number(42, 1), turn = r.number(50, 0);
    const int columns = std::clamp(r.integer(70, 1), 1, 32767), rows = std::clamp(r.integer(71, 1), 1, 32767);
    open_blocks_.push_back(name);
    for (int row = 0; row < rows; ++row) {
      for (int column = 0; column < columns; ++column) {
        instances_ += std::max<std::size_t>(1, found->second.records.size());
        if (instances_ > options_.max_instances)
          refuse(ErrorKind::unsupported, {"dxf-many-blocks", {{"most", figure(options_.max_instances)}}}, r.line());
        const Affine place = Affine::move(r.number(10, 0), r.number(20, 0)) * Affine::rotate(turn) *
                             Affine::move(column * r.number(44, 0), row * r.number(45, 0)) * Affine::scale(sx, sy) *
                             Affine::move(-found->second.base.x, -found->second.base.y);
        inside.map = around.map * plane_of(r) * place;
        draw(found->second.records, inside, depth + 1);
      }
    }
    open_blocks_.pop_back();
  }

  [[nodiscard]] const DxfLayer* layer_of(const std::string& name) const {
    const auto found = layers_.find(name);
    return found == layers_.end() ? nullptr : &found->second;
  }

  // --- outlines, in the entity's own units -----------------------------------------------------------------------

  /// Nothing for kinds that are not drawn here; an empty path where its numbers make none.
  std::optional<Path> outline(const DxfRecord& r, const std::vector<DxfRecord>& records, std::size_t first,
                              std::size_t last) {
    const std::string_view kind = r.kind();
    Path out;
    const auto add = [&](std::optional<Contour> contour) {
      if (contour) out.contours.push_back(std::move(*contour));
    };
    if (kind == "LINE") {
      add(straight_through({at(r, 10), at(r, 11)}, false));
    } else if (kind == "CIRCLE") {
      if (const double radius = r.number(40, 0); radius > 0) add(ellipse(at(r, 10), radius, radius));
    } else if (kind == "ARC") {
      add(arc(at(r, 10), r.number(40, 0), r.number(50, 0), r.number(51, 360)));
    } else if (kind == "ELLIPSE") {
      add(elliptical(r));
    } else if (kind == "LWPOLYLINE") {
      std::vector<Corner> corners;
      for (const auto& group : r) {
        const double v = to_number(group.value).value_or(0);
        if (group.code == 10) corners.push_back({{v, 0}, 0});
        if (corners.empty()) continue;
        if (group.code == 20) corners.back().at.y = v;
        if (group.code == 42) corners.back().bulge = v;
      }
      add(through(corners, r.integer(70, 0) & 1));
    } else if (kind == "POLYLINE") {
      constexpr int kClosed = 1, kMesh = 16, kFaces = 64, kFrame = 16;
      const int flags = r.integer(70, 0);
      if (flags & (kMesh | kFaces)) return std::nullopt;
      std::vector<Corner> corners;
      for (std::size_t i = first + 1; i <= last; ++i) {
        // Of a smoothed one, the frame that it was made from is not drawn.
        if (records[i].kind() != "VERTEX" || (records[i].integer(70, 0) & kFrame)) continue;
        corners.push_back({at(records[i], 10), records[i].number(42, 0)});
      }
      add(through(corners, flags & kClosed));
    } else if (kind == "SPLINE") {
      add(spline(r));
    } else if (kind == "SOLID" || kind == "TRACE" || kind == "3DFACE") {
      // Solids name their corners to and fro, faces around.
      std::vector<Vec> corners{at(r, 10), at(r, 11), at(r, 12), r.has(13) ? at(r, 13) : at(r, 12)};
      if (kind != "3DFACE") std::swap(corners[2], corners[3]);
      corners.erase(std::unique(corners.begin(), corners.end()), corners.end());
      if (corners.size() > 2) add(straight_through(corners, true));
    } else {
      return std::nullopt;
    }
    return out;
  }

  static Vec at(const DxfRecord& r, int code) { return {r.number(code, 0), r.number(code + 10, 0)}; }

  struct Corner {
    Vec at;
    double bulge = 0;  ///< the tangent of a quarter of the angle that the arc to the next corner spans
  };

  [[nodiscard]] double scale() const { return unit_mm_.value_or(1); }

  std::optional<Contour> through(const std::vector<Corner>& corners, bool closed) const {
    if (corners.size() < 2) return std::nullopt;
    Contour out{corners.front().at, {}, closed};
    const std::size_t spans = closed ? corners.size() : corners.size() - 1;
    for (std::size_t i = 0; i < spans; ++i) {
      const Vec a = corners[i].at, b = corners[(i + 1) % corners.size()].at;
      const double bulge = corners[i].bulge, chord = distance(a, b);
      if (std::abs(bulge) < kOnto || chord < kOnto || !std::isfinite(bulge)) {
        if (!(a == b) || spans == 1) out.segments.push_back(Segment::line(b));
        continue;
      }
      const double radius = chord * (1 + bulge * bulge) / (4 * std::abs(bulge));
      append_arc(out.segments, a, radius, radius, 0, std::abs(bulge) > 1, bulge > 0, b, scale());
    }
    if (out.segments.empty()) return std::nullopt;
    if (closed) out.segments.back().end = out.start;
    return out;
  }

  std::optional<Contour> arc(Vec centre, double radius, double from, double to) const {
    if (!(radius > 0)) return std::nullopt;
    double span = std::fmod(to - from, 360);
    if (span <= 0) span += 360;
    if (span > 360 - 1e-9) return ellipse(centre, radius, radius);
    const auto point = [&](double degrees) {
      return centre + Vec{std::cos(degrees * kRadians), std::sin(degrees * kRadians)} * radius;
    };
    Contour out{point(from), {}, false};
    append_arc(out.segments, out.start, radius, radius, 0, span > 180, true, point(from + span), scale());
    return out;
  }

  std::optional<Contour> elliptical(const DxfRecord& r) const {
    const Vec centre = at(r, 10), major = at(r, 11);
    const double rx = norm(major), ry = rx * std::abs(r.number(40, 1));
    if (!(rx > 0) || !(ry > 0)) return std::nullopt;
    constexpr double kWhole = 2 * std::numbers::pi;
    const double from = r.number(41, 0);
    double span = std::fmod(r.number(42, kWhole) - from, kWhole);
    if (span <= 0) span += kWhole;
    const Vec across = Vec{-major.y, major.x} * (ry / rx) * (r.number(230, 1) < 0 ? -1 : 1);
    const auto point = [&](double t) { return centre + major * std::cos(t) + across * std::sin(t); };
    const double turn = std::atan2(major.y, major.x) / kRadians;
    const bool sweep = r.number(230, 1) >= 0;
    Contour out{point(from), {}, false};
    if (span > kWhole - 1e-9) {
      append_arc(out.segments, out.start, rx, ry, turn, false, sweep, point(from + kWhole / 2), scale());
      append_arc(out.segments, point(from + kWhole / 2), rx, ry, turn, false, sweep, out.start, scale());
      out.segments.back().end = out.start;
      out.closed = true;
    } else {
      append_arc(out.segments, out.start, rx, ry, turn, span > kWhole / 2, sweep, point(from + span), scale());
    }
    return out;
  }

  std::optional<Contour> spline(const DxfRecord& r) const {
    Nurbs curve;
    curve.degree = r.integer(71, 3);
    std::vector<Vec> fitted;
    for (const auto& group : r) {
      const double v = to_number(group.value).value_or(0);
      if (group.code == 40) curve.knots.push_back(v);
      if (group.code == 41) curve.weights.push_back(v);
      if (group.code == 10) curve.control.push_back({v, 0});
      if (group.code == 20 && !curve.control.empty()) curve.control.back().y = v;
      if (group.code == 11) fitted.push_back({v, 0});
      if (group.code == 21 && !fitted.empty()) fitted.back().y = v;
    }
    if (curve.weights.size() != curve.control.size()) curve.weights.clear();
    constexpr double kWithin = 0.002;  // mm
    constexpr int kClosed = 1;
    if (!curve.control.empty()) return course_of(curve, kWithin / scale());
    fitted.erase(std::unique(fitted.begin(), fitted.end()), fitted.end());
    const bool closed = r.integer(70, 0) & kClosed;
    if (closed && fitted.size() > 1 && fitted.front() == fitted.back()) fitted.pop_back();
    if (fitted.size() < 2) return std::nullopt;
    return smooth_through(fitted, closed);
  }

  // --- what is said of it ----------------------------------------------------------------------------------------

  void note_spoiled(const DxfRecord& r) {
    if (spoiled_++ == 0) spoiled_line_ = r.line(), spoiled_name_ = r.kind();
  }
  void note_left_out(const DxfRecord& r) {
    if (left_out_++ == 0) left_out_line_ = r.line(), left_out_name_ = r.kind();
  }
  void note(std::string code, Severity severity, Figures figures, std::string form = {}) {
    Finding finding{std::move(code), severity, std::move(figures)};
    finding.form = std::move(form);
    art_.notes.push_back(std::move(finding));
  }

  void finish() {
    // What lies where no machine reaches is left out before the corner is sought.
    constexpr double kLarge = 1e5;
    Box bounds;
    for (const auto& line : art_.lines) bounds.add(bounds_of(line.path));
    if (!art_.lines.empty() && std::max(bounds.width(), bounds.height()) > kLarge)
      refuse(ErrorKind::unsupported, {"drawing-too-wide"}, 1);
    const Affine corner = Affine::move(-bounds.x0, -bounds.y0);
    for (auto& line : art_.lines) line.path = transformed(line.path, corner);
    art_.lines = chained(std::move(art_.lines));
    if (!art_.lines.empty()) art_.width_mm = bounds.width(), art_.height_mm = bounds.height();
    art_.unit_source = unit_mm_ ? UnitSource::stated : UnitSource::assumed;
    art_.per_inch = kMmPerInch / unit_mm_.value_or(1);
    const auto where = [](int count, std::size_t line, const std::string& name) {
      return Figures{{"count", 1.0 * count}, {"line", static_cast<double>(line)}, {"name", name}};
    };
    if (!unit_mm_)
      note("size-assumed", Severity::warning, {{"width", art_.width_mm}, {"height", art_.height_mm}}, "units");
    if (!texts_.empty())
      note("text-left-out", Severity::warning,
           {{"texts", static_cast<double>(texts_.size())}, {"first", texts_.front().substr(0, 40)}});
    if (images_ > 0) note("image-left-out", Severity::warning, {{"pictures", 1.0 * images_}});
    int others = 0;
    for (const auto& [kind, count] : unknown_) others += count;
    if (others > 0)
      note("kinds-left-out", Severity::warning,
           {{"objects", 1.0 * others}, {"first", unknown_.begin()->first.substr(0, 40)}});
    if (spoiled_ > 0) note("attribute-ignored", Severity::warning, where(spoiled_, spoiled_line_, spoiled_name_));
    if (left_out_ > 0) note("element-left-out", Severity::warning, where(left_out_, left_out_line_, left_out_name_));
    if (lost_ > 0) note("use-lost", Severity::warning, where(lost_, lost_line_, lost_name_));
    if (dots_ > 0) note("dots-left-out", Severity::warning, {{"dots", 1.0 * dots_}});
    if (hidden_ > 0) note("hidden-left-out", Severity::info, {{"elements", 1.0 * hidden_}});
    if (art_.lines.empty()) note("nothing-drawn", Severity::warning, {});
  }
};

}  // namespace

Color dxf_color(int index) {
  // The first nine by name; then 24 hues, each in five strengths, full and half; then greys.
  static constexpr std::array<Color, 10> kFirst{Color{0, 0, 0},  {255, 0, 0},    {255, 255, 0}, {0, 255, 0},
                                                {0, 255, 255},   {0, 0, 255},    {255, 0, 255}, {0, 0, 0},
                                                {128, 128, 128}, {192, 192, 192}};
  static constexpr std::array<Color, 6> kGreys{Color{51, 51, 51}, {91, 91, 91},    {132, 132, 132},
                                               {173, 173, 173},   {214, 214, 214}, {255, 255, 255}};
  if (index < 10) return kFirst[static_cast<std::size_t>(std::clamp(index, 0, 9))];
  if (index >= 250) return kGreys[static_cast<std::size_t>(std::min(index, 255) - 250)];
  const double hue = 15.0 * (index / 10 - 1);
  static constexpr std::array<double, 5> kStrengths{255, 165, 127, 76, 38};
  const double strong = kStrengths[static_cast<std::size_t>(index % 10 / 2)];
  const double pale = index % 2 == 1 ? 0.5 : 0;
  const auto channel = [&](double turn) {
    const double h = std::fmod(hue + turn + 720, 360);
    const double share = h < 60 ? h / 60 : h < 180 ? 1 : h < 240 ? (240 - h) / 60 : 0;
    return static_cast<std::uint8_t>(std::lround(strong * (pale + (1 - pale) * share) - 0.01));
  };
  return {channel(120), channel(0), channel(240)};
}

int nearest_dxf_color(Color color) {
  int best = 7;
  double least = 1e9;
  for (int i = 1; i <= 255; ++i) {
    const Color c = dxf_color(i);
    const double r = c.r - color.r, g = c.g - color.g, b = c.b - color.b;
    if (const double far = r * r + g * g + b * b; far < least) best = i, least = far;
  }
  return best;
}

Result<Artwork> read_dxf(std::string_view bytes, const std::string& file_name, const ReadOptions& options) {
  if (bytes.size() > options.max_bytes)
    return fail(ErrorKind::unsupported, {"drawing-too-large", {{"mb", figure(options.max_bytes >> 20)}}}, file_name);
  const auto groups = dxf_groups(bytes, file_name);
  if (!groups) return tl::unexpected<Error>(groups.error());
  try {
    return DxfReader(file_name, options).read(*groups);
  } catch (DxfRefusal& refusal) {
    return tl::unexpected<Error>(std::move(refusal.error));
  } catch (const std::bad_alloc&) {
    return fail(ErrorKind::unsupported, {"drawing-memory"}, file_name);
  }
}

}  // namespace dotlane
