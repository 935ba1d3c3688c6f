#include "core/job/gcode.hpp"

#include <cmath>
#include <map>
#include <nlohmann/json.hpp>
#include <numbers>
#include <utility>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// The circle through three points; nothing where they lie in a row.
std::optional<std::pair<Vec, double>> circle_through(Vec a, Vec b, Vec c) {
  const Vec u = b - a, v = c - a;
  const double d = 2 * cross(u, v);
  if (std::abs(d) < 1e-9) return std::nullopt;
  const Vec centre = a + Vec{v.y * dot(u, u) - u.y * dot(v, v), u.x * dot(v, v) - v.x * dot(u, u)} * (1 / d);
  return std::pair(centre, distance(centre, a));
}

struct Arc {
  Vec centre;
  bool clockwise = false;  // with y up
  std::size_t last = 0;    // index of the point where it ends
};

/// The longest arc that begins at a point and stays within the tolerance of all points that it passes and of the
/// middles between them, to the point `end` at most; at least four of them, under half a turn.
std::optional<Arc> arc_from(const std::vector<Vec>& p, std::size_t first, std::size_t end, double tolerance) {
  constexpr std::size_t kLeast = 4;
  constexpr double kLargest = 1000;  // mm: beyond, it is as good as straight
  std::optional<Arc> best;
  const auto tried = [&](std::size_t last) -> std::optional<Arc> {
    const auto circle = circle_through(p[first], p[(first + last) / 2], p[last]);
    if (!circle || circle->second > kLargest) return std::nullopt;
    const auto [centre, radius] = *circle;
    const double side = cross(p[first + 1] - p[first], p[last] - p[first]);
    double turned = 0;
    for (std::size_t i = first; i < last; ++i) {
      const Vec a = p[i] - centre, b = p[i + 1] - centre;
      const double by = std::atan2(cross(a, b), dot(a, b));
      if (by * side < 0) return std::nullopt;
      turned += std::abs(by);
      if (std::abs(norm(b) - radius) > tolerance || std::abs(norm((a + b) * 0.5) - radius) > tolerance)
        return std::nullopt;
    }
    if (turned > std::numbers::pi * 0.99) return std::nullopt;
    return Arc{centre, side < 0, last};
  };
  std::size_t step = kLeast - 1;
  for (std::size_t last = first + step; last <= end; last = first + step) {
    const auto arc = tried(last);
    if (!arc) break;
    best = arc;
    step += std::max<std::size_t>(1, step / 4);
  }
  if (!best) return best;
  while (best->last < end) {
    const auto arc = tried(best->last + 1);
    if (!arc) break;
    best = arc;
  }
  return best;
}

class GcodeWriter {
 public:
  GcodeWriter(double mat_height, const GcodeProfile& profile) : mat_height_(mat_height), profile_(profile) {
    out = "(dot-lane, mm)\nG21 G90 G17\n";
    if (!profile.before.empty()) out += profile.before + "\n";
    lift();
  }
  std::string out;

  void operator()(const LoadHolders& load) {
    lift();
    note(marker_text(load));
    if (load.pause) out += "M0\n";
  }
  void operator()(const FindMarks& marks) {
    lift();
    note(marker_text(marks));
  }
  void operator()(const AsLaid&) {
    lift();
    note(kAsLaid);
  }
  void operator()(const SelectTool& select) {
    lift();
    const std::string holder = std::to_string(select.holder);
    if (profile_.tool_change) {
      out += "T" + holder + " M6 (holder " + holder + ")\n";
    } else {
      out += "T" + holder + "\nM0 (holder " + holder + ")\n";
    }
    note("force " + rounded_text(select.force_gf, 0) + " gf");
    if (select.depth > 0) note(depth_text(select.depth));
    feed_ = select.speed_mm_s * 60;
  }
  void operator()(const RunHead& run) {
    std::vector<Vec> points;
    for (const Vec p : run.head) points.push_back({p.x, mat_height_ - p.y});
    lift();
    out += "G0" + place(points.front()) + "\n";
    lower();
    double said = 0;
    const auto top = [&](std::size_t i) {  // of the move to the point
      return run.ceilings.empty() ? feed_ : std::min(feed_, run.ceilings[i - 1] * 60);
    };
    const auto rate = [&](std::size_t i) {
      return std::exchange(said, top(i)) == top(i) ? std::string() : " F" + rounded_text(top(i), 0);
    };
    for (std::size_t i = 1; i < points.size();) {
      std::size_t alike = i;  // the last point that is gone to as fast
      while (alike + 1 < points.size() && top(alike + 1) == top(i)) ++alike;
      const auto arc = profile_.arcs ? arc_from(points, i - 1, alike, profile_.tolerance_mm) : std::nullopt;
      if (arc) {
        const Vec to_centre = arc->centre - points[i - 1];
        out += (arc->clockwise ? "G2" : "G3") + place(points[arc->last]) + " I" + rounded_text(to_centre.x, 4) + " J" +
               rounded_text(to_centre.y, 4) + rate(arc->last) + "\n";
        i = arc->last + 1;
      } else {
        out += "G1" + place(points[i]) + rate(i) + "\n";
        ++i;
      }
    }
  }
  void operator()(const EndJob&) {
    lift();
    if (!profile_.after.empty()) out += profile_.after + "\n";
    out += "M2\n";
  }

 private:
  static std::string place(Vec p) { return " X" + rounded_text(p.x, 4) + " Y" + rounded_text(p.y, 4); }
  void note(std::string_view text) { out += "(" + std::string(text) + ")\n"; }
  void lift() {
    if (!std::exchange(down_, false) && lifted_) return;
    lifted_ = true;
    set(profile_.up, "G0");
  }
  void lower() {
    down_ = true;
    set(profile_.down, "G1");
  }
  void set(double to, const char* way) {
    if (profile_.servo) {
      out += "M3 S" + rounded_text(to, 0) + "\n";
      if (profile_.settle_s > 0) out += "G4 P" + rounded_text(profile_.settle_s, 3) + "\n";
    } else {
      out += std::string(way) + " Z" + rounded_text(to, 3);
      if (way[1] == '1') out += " F" + rounded_text(profile_.plunge_mm_s * 60, 0);
      out += "\n";
    }
  }
  double mat_height_, feed_ = 0;
  const GcodeProfile& profile_;
  bool down_ = false, lifted_ = false;
};

}  // namespace

Result<GcodeProfile> gcode_profile_from(std::string_view text) {
  GcodeProfile out;
  const auto json = nlohmann::json::parse(text, nullptr, false);
  if (!json.is_object()) return fail(ErrorKind::malformed, {"profile-object"});
  const auto bad = [](const std::string& field, const char* what) {
    return fail(ErrorKind::malformed, {what, {{"word", field}}});
  };
  std::map<std::string, double*> numbers{{"up", &out.up},
                                         {"down", &out.down},
                                         {"settle_s", &out.settle_s},
                                         {"plunge_mm_s", &out.plunge_mm_s},
                                         {"tolerance_mm", &out.tolerance_mm}};
  std::map<std::string, std::string*> texts{{"name", &out.name}, {"before", &out.before}, {"after", &out.after}};
  std::map<std::string, bool*> flags{{"arcs", &out.arcs}, {"tool_change", &out.tool_change}};
  for (const auto& [key, value] : json.items()) {
    if (const auto n = numbers.find(key); n != numbers.end()) {
      if (!value.is_number()) return bad(key, "field-is-number");
      *n->second = value.get<double>();
      if (!std::isfinite(*n->second) || std::abs(*n->second) > 1e5) return bad(key, "profile-beyond");
    } else if (const auto t = texts.find(key); t != texts.end()) {
      if (!value.is_string()) return bad(key, "field-is-text");
      *t->second = value.get<std::string>();
    } else if (const auto f = flags.find(key); f != flags.end()) {
      if (!value.is_boolean()) return bad(key, "field-is-flag");
      *f->second = value.get<bool>();
    } else if (key == "lift") {
      if (value != "z" && value != "servo") return bad(key, "profile-lift");
      out.servo = value == "servo";
    } else {
      return bad(key, "profile-no-field");
    }
  }
  if (out.up == out.down) return bad("up", "profile-never-lifted");
  if (out.settle_s < 0) return bad("settle_s", "profile-below-0");
  if (out.plunge_mm_s <= 0) return bad("plunge_mm_s", "profile-not-above-0");
  if (out.tolerance_mm <= 0 || out.tolerance_mm > 1) return bad("tolerance_mm", "profile-tolerance");
  return out;
}

Encoded gcode_of(const Job& job, const GcodeProfile& profile) {
  GcodeWriter w(job.machine.mat.height_mm, profile);
  std::vector<std::size_t> ends;
  ends.reserve(job.instructions.size());
  for (const auto& instruction : job.instructions) {
    std::visit(w, instruction.what);
    ends.push_back(w.out.size());
  }
  return {std::move(w.out), std::move(ends)};
}

Result<void> GcodeReader::feed(std::string_view bytes, std::vector<Command>& out) {
  constexpr std::size_t kLongest = 4096;
  pending_ += bytes;
  std::size_t from = 0;
  for (std::size_t end = pending_.find('\n'); end != std::string::npos; end = pending_.find('\n', from)) {
    const auto read = line(std::string_view(pending_).substr(from, end - from), end + 1 - from, out);
    if (!read) return read;
    from = end + 1;
  }
  pending_.erase(0, from);
  if (pending_.size() > kLongest) return fail(ErrorKind::malformed, {"stream-line-endless"});
  return {};
}

Result<void> GcodeReader::end(std::vector<Command>& out) {
  const std::string last = std::exchange(pending_, {});
  return trimmed(last).empty() ? Result<void>{} : line(last, last.size(), out);
}

Result<void> GcodeReader::line(std::string_view text, std::size_t bytes, std::vector<Command>& out) {
  ++lines_;
  const auto bad = [&](Said said) {
    said.figures["line"] = figure(lines_);
    said.figures["text"] = std::string(text.substr(0, 24));
    return fail(ErrorKind::malformed, std::move(said));
  };
  std::string words;
  std::vector<std::string> notes;
  for (std::size_t i = 0; i < text.size(); ++i) {
    if (text[i] == ';') break;
    if (text[i] == '(') {
      const auto close = text.find(')', i);
      if (close == std::string_view::npos) return bad({"gcode-remark"});
      notes.emplace_back(text.substr(i + 1, close - i - 1));
      i = close;
    } else {
      words += text[i];
    }
  }
  const std::size_t before = out.size();
  const auto add = [&](Command command) { out.push_back(std::move(command)); };
  for (auto& note : notes) {
    constexpr std::string_view kForce = "force ";
    if (note.starts_with(kForce))
      add({.kind = Command::Kind::force, .number = to_number(split(note, ' ')[1]).value_or(0)});
    else
      add({.kind = Command::Kind::note, .text = std::move(note)});
  }
  std::map<char, double> values;
  std::vector<int> g, m;
  TextScan in(words);
  for (in.skip_space(); !in.done(); in.skip_space()) {
    char letter = in.peek();
    if (letter >= 'a' && letter <= 'z') letter = static_cast<char>(letter - 'a' + 'A');
    if (letter < 'A' || letter > 'Z') return bad({"gcode-letter"});
    in.advance();
    const auto number = in.number();
    if (!number) return bad({"gcode-number", {{"letter", std::string(1, letter)}}});
    if (letter == 'G' || letter == 'M') {
      const double tenths = *number * 10;
      (letter == 'G' ? g : m).push_back(static_cast<int>(std::lround(std::clamp(tenths, -1e6, 1e6))));
    } else {
      values[letter] = *number;
    }
  }
  const auto down_changes = [&](bool down) {
    if (down != down_) {
      Command change{down ? Command::Kind::down : Command::Kind::up};
      if (down) change.points.push_back(on_mat(at_));  // a prick, if nothing follows
      add(std::move(change));
    }
    down_ = down;
  };
  bool dwell = false;
  for (const int code : g) {
    switch (code) {
      case 0:
      case 10:
      case 20:
      case 30:
        motion_ = code / 10;
        break;
      case 40:
        dwell = true;
        break;
      case 200:
        unit_ = 25.4;
        break;
      case 210:
        unit_ = 1;
        break;
      case 900:
        absolute_ = true;
        break;
      case 910:
        absolute_ = false;
        break;
      case 170:
      case 540:
      case 940:  // the plane of the mat, the first coordinates, feeds a minute
        break;
      default:
        add({.kind = Command::Kind::fault, .why = {"cutter-unknown", {{"word", "G" + rounded_text(code / 10.0, 1)}}}});
    }
  }
  if (values.contains('F')) add({.kind = Command::Kind::speed, .number = values['F'] * unit_ / 60});
  if (values.contains('T')) tool_ = static_cast<int>(std::clamp(values['T'], 0.0, 99.0));
  bool selected = false;
  for (const int code : m) {
    switch (code) {
      case 60:
        add({.kind = Command::Kind::select, .number = static_cast<double>(tool_)});
        selected = true;
        break;
      case 30:
        if (profile_.servo) {
          const double s = values.contains('S') ? values['S'] : profile_.down;
          down_changes(std::abs(s - profile_.down) < std::abs(s - profile_.up));
        }
        break;
      case 50:
        if (profile_.servo) down_changes(false);
        break;
      case 0:
      case 10:
      case 20:
      case 300:
      case 40:  // stops: what has to be done is in the marker before
        break;
      default:
        add({.kind = Command::Kind::fault, .why = {"cutter-unknown", {{"word", "M" + rounded_text(code / 10.0, 1)}}}});
    }
  }
  if (values.contains('T') && !selected && !profile_.tool_change)
    add({.kind = Command::Kind::select, .number = static_cast<double>(tool_)});
  if (!dwell) {
    if (values.contains('Z') && !profile_.servo) {
      z_ = absolute_ ? values['Z'] * unit_ : z_ + values['Z'] * unit_;
      down_changes(std::abs(z_ - profile_.down) < std::abs(z_ - profile_.up));
    }
    if (values.contains('X') || values.contains('Y')) {
      const auto along = [&](char axis, double now) {
        return !values.contains(axis) ? now : absolute_ ? values[axis] * unit_ : now + values[axis] * unit_;
      };
      const Vec from = at_;
      at_ = {along('X', at_.x), along('Y', at_.y)};
      if (!is_finite(at_) || std::abs(at_.x) > 1e6 || std::abs(at_.y) > 1e6) return bad({"gcode-beyond"});
      Command move{down_ ? Command::Kind::down : Command::Kind::up};
      if (motion_ >= 2) {
        if (!values.contains('I') && !values.contains('J')) return bad({"gcode-arc-middle"});
        const Vec centre = from + Vec{values['I'] * unit_, values['J'] * unit_};
        const double radius = distance(centre, from);
        const Vec a = from - centre, b = at_ - centre;
        if (radius <= 0 || std::abs(norm(b) - radius) > std::max(0.02, radius * 0.01)) return bad({"gcode-arc-end"});
        double turn = std::atan2(cross(a, b), dot(a, b));
        if (motion_ == 2 && turn >= 0) turn -= 2 * std::numbers::pi;
        if (motion_ == 3 && turn <= 0) turn += 2 * std::numbers::pi;
        constexpr double kSagitta = 0.005;
        const double most = 2 * std::acos(std::max(0.0, 1 - kSagitta / std::max(radius, kSagitta)));
        const int steps = std::min(20'000, static_cast<int>(std::ceil(std::abs(turn) / most)));
        for (int k = 1; k < steps; ++k) {
          const double t = turn * k / steps, c = std::cos(t), s = std::sin(t);
          const double r = radius + (norm(b) - radius) * k / steps;
          move.points.push_back(on_mat(centre + Vec{a.x * c - a.y * s, a.x * s + a.y * c} * (r / radius)));
        }
      }
      move.points.push_back(on_mat(at_));
      add(std::move(move));
    }
  }
  if (out.size() == before) add({});
  out.back().bytes = bytes;
  return {};
}

}  // namespace dotlane
