#include "core/geometry/path_data.hpp"

#include <charconv>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// Builds contours from drawing commands in the order they come.
class PathBuilder {
 public:
  Path path;
  Vec at;       // current point
  Vec control;  // last control point, for the smooth commands; equals `at` after others

  void move(Vec p) {
    path.contours.push_back({p, {}, false});
    at = start_ = control = p;
    fresh_ = true;
  }
  void line(Vec p) {
    contour().segments.push_back(Segment::line(p));
    at = control = p;
  }
  void cubic(Vec c1, Vec c2, Vec p) {
    contour().segments.push_back(Segment::cubic(c1, c2, p));
    control = c2;
    at = p;
  }
  void quadratic(Vec c, Vec p) {
    cubic(lerp(at, c, 2.0 / 3), lerp(p, c, 2.0 / 3), p);
    control = c;
  }
  void arc(double rx, double ry, double turn, bool large, bool sweep, Vec p, double scale) {
    append_arc(contour().segments, at, rx, ry, turn, large, sweep, p, scale);
    at = control = p;
  }
  void close() {
    auto& c = contour();
    if (!(at == c.start)) c.segments.push_back(Segment::line(c.start));
    c.closed = true;
    at = control = c.start;
    fresh_ = false;
  }

 private:
  Vec start_;
  bool fresh_ = false;  // the last contour is still open for more segments
  Contour& contour() {
    if (!fresh_) move(start_);
    return path.contours.back();
  }
};

}  // namespace

Result<Path> parse_path_data(std::string_view text, double scale) {
  PathRead read = read_path_data(text, scale);
  if (read.error) return tl::unexpected<Error>(std::move(*read.error));
  return std::move(read.path);
}

PathRead read_path_data(std::string_view text, double scale) {
  TextScan in(text);
  PathBuilder b;
  char command = 0, previous = 0;
  auto bad = [&](const char* code, char letter = ' ') -> PathRead {
    const Said said{code, {{"character", figure(in.offset() + 1)}, {"letter", std::string(1, letter)}}};
    return {std::move(b.path), Error{ErrorKind::malformed, said, {}}};
  };
  in.skip_space();
  if (in.done() || in.rest() == "none") return {};
  bool failed = false;
  auto number = [&] {
    const auto v = in.number();
    if (!v) failed = true;
    return v.value_or(0);
  };
  auto flag = [&] {
    const auto v = in.flag();
    if (!v) failed = true;
    return v.value_or(false);
  };
  while (in.skip_separators(), !in.done()) {
    const char c = in.peek();
    if ((c >= 'A' && c <= 'Z') || (c >= 'a' && c <= 'z')) {
      command = c;
      in.advance();
      if (previous == 0 && command != 'M' && command != 'm') return bad("path-move");
    } else if (command == 0 || command == 'Z' || command == 'z') {
      return bad("path-letter");
    }
    const bool relative = command >= 'a';
    const Vec origin = relative ? b.at : Vec{};
    auto point = [&] {
      const double x = number(), y = number();
      return origin + Vec{x, y};
    };
    const char upper = static_cast<char>(relative ? command - 'a' + 'A' : command);
    switch (upper) {
      case 'M': {
        const Vec p = point();
        if (!failed) b.move(p);
        break;
      }
      case 'L': {
        const Vec p = point();
        if (!failed) b.line(p);
        break;
      }
      case 'H': {
        const double x = number();
        if (!failed) b.line({origin.x + x, b.at.y});
        break;
      }
      case 'V': {
        const double y = number();
        if (!failed) b.line({b.at.x, origin.y + y});
        break;
      }
      case 'C': {
        const Vec c1 = point(), c2 = point(), p = point();
        if (!failed) b.cubic(c1, c2, p);
        break;
      }
      case 'S': {
        const Vec c1 = previous == 'C' || previous == 'S' ? b.at * 2 - b.control : b.at;
        const Vec c2 = point(), p = point();
        if (!failed) b.cubic(c1, c2, p);
        break;
      }
      case 'Q': {
        const Vec q = point(), p = point();
        if (!failed) b.quadratic(q, p);
        break;
      }
      case 'T': {
        const Vec q = previous == 'Q' || previous == 'T' ? b.at * 2 - b.control : b.at;
        const Vec p = point();
        if (!failed) b.quadratic(q, p);
        break;
      }
      case 'A': {
        const double rx = number(), ry = number(), turn = number();
        const bool large = flag(), sweep = flag();
        const Vec p = point();
        if (!failed) b.arc(rx, ry, turn, large, sweep, p, scale);
        break;
      }
      case 'Z':
        b.close();
        break;
      default:
        return bad("path-command", command);
    }
    if (failed) return bad("path-number", command);
    previous = upper;
    if (command == 'M') command = 'L';
    if (command == 'm') command = 'l';
  }
  return {std::move(b.path), std::nullopt};
}

namespace {

template <class Number>
std::string write(const Path& path, Number number) {
  std::string out;
  auto put = [&](char command, std::initializer_list<Vec> points) {
    if (!out.empty()) out += ' ';
    out += command;
    for (const Vec p : points) out += ' ', number(out, p.x), out += ' ', number(out, p.y);
  };
  for (const auto& c : path.contours) {
    put('M', {c.start});
    for (std::size_t i = 0; i < c.segments.size(); ++i) {
      const auto& s = c.segments[i];
      if (s.straight) {
        if (!(c.closed && i + 1 == c.segments.size())) put('L', {s.end});
      } else {
        put('C', {s.c1, s.c2, s.end});
      }
    }
    if (c.closed) put('Z', {});
  }
  return out;
}

}  // namespace

std::string path_data(const Path& path) {
  return write(path, [](std::string& out, double v) {
    char buffer[32];
    const auto end = std::to_chars(buffer, buffer + sizeof buffer, v == 0 ? 0.0 : v).ptr;
    out.append(buffer, end);
  });
}

std::string path_data(const Path& path, int decimals) {
  return write(path, [decimals](std::string& out, double v) { out += rounded_text(v, decimals); });
}

}  // namespace dotlane
