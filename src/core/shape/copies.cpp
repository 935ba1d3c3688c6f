#include "core/shape/copies.hpp"

#include <algorithm>
#include <array>
#include <cmath>
#include <numbers>
#include <optional>
#include <set>

#include "core/shape/copies_motif.hpp"

namespace dotlane {
namespace {

using CopyWay = CopyOptions::Way;
using CopyBy = CopyOptions::By;
using CopyTurned = CopyOptions::Turned;
using CopyEdge = CopyOptions::Edge;

constexpr double kLeastPitch = 0.1;                   // mm: of motifs that take up no room the way they are repeated
constexpr double kCopyFits = 1e-6;                    // mm: what reaches so little over an edge fits
const double kHexRow = std::numbers::sqrt3 / 2;       // from row to row of a honeycomb, in pitches
constexpr double kRosette = std::numbers::sqrt3 + 1;  // from middle to middle of rosettes of six, in their radius

/// In which part of the pattern a copy is: what it is turned by depends on it.
int parity(int n) { return n & 1; }

Affine turned_by(CopyTurned turned, int column, int row) {
  const Affine across = Affine::scale(-1, 1), down = Affine::scale(1, -1), half = Affine::scale(-1, -1);
  const bool odd_column = parity(column) != 0, odd_row = parity(row) != 0;
  switch (turned) {
    case CopyTurned::pm:
      return odd_column ? across : Affine{};
    case CopyTurned::pg:
      return odd_column ? down : Affine{};
    case CopyTurned::pmm:
      return (odd_column ? across : Affine{}) * (odd_row ? down : Affine{});
    case CopyTurned::p2:
      return odd_column ? half : Affine{};
    case CopyTurned::p4: {
      const Affine quarter{0, 1, -1, 0, 0, 0};
      return odd_column ? (odd_row ? half : quarter) : (odd_row ? half * quarter : Affine{});
    }
    case CopyTurned::mirrored:
      return odd_column != odd_row ? across : Affine{};
    case CopyTurned::turned:
      return odd_column != odd_row ? half : Affine{};
    case CopyTurned::p1:
    case CopyTurned::p6:
      break;
  }
  return {};
}

bool by_column(CopyTurned t) { return t != CopyTurned::p1 && t != CopyTurned::p6; }
bool by_row(CopyTurned t) {
  return t == CopyTurned::pmm || t == CopyTurned::p4 || t == CopyTurned::mirrored || t == CopyTurned::turned;
}

/// How many fit into a length, each so far from the one before; and what is left over.
struct Fit {
  int count = 0;
  double left_over = 0;
};
Fit fitting(double room, double size, double pitch) {
  if (size > room + kCopyFits) return {0, room};
  const int count = static_cast<int>(std::min(1e6, std::floor((room - size + kCopyFits) / std::max(pitch, 1e-9)))) + 1;
  return {count, std::max(0.0, room - size - (count - 1) * pitch)};
}

class Arrangement {
 public:
  Arrangement(const std::vector<Polyline>& motif, const CopyOptions& options)
      : options_(options), motif_(motif), box_(bounds_of_all(motif)), middle_(box_.centre()) {
    for (int row = 0; row < 2; ++row) {
      for (int column = 0; column < 2; ++column) {
        const Box b = bounds_of_all(transformed_all(motif_, about(turned_by(options_.turned, column, row))));
        size_ = {std::max(size_.x, b.width()), std::max(size_.y, b.height())};
      }
    }
  }

  Copies run(std::size_t most, CopyTrouble& trouble) {
    trouble = CopyTrouble::none;
    if (box_.empty()) return {};
    const bool rosettes = options_.turned == CopyTurned::p6 && flat() && options_.way != CopyWay::row;
    const bool room_said = flat() && (options_.fill || options_.by == CopyBy::spread);
    if (room_said && (options_.room.x <= 0 || options_.room.y <= 0)) {
      trouble = CopyTrouble::no_room;
      return {};
    }
    if (room_said) {
      out_.room =
          Box::of(middle_.x - options_.room.x / 2, middle_.y - options_.room.y / 2, options_.room.x, options_.room.y);
    }
    if (options_.way == CopyWay::ring) {
      out_ = copies_in_ring(motif_, options_);
    } else if (options_.way == CopyWay::path) {
      out_ = copies_on_path(motif_, options_, trouble);
    } else if (rosettes) {
      rosette(most, trouble);
    } else {
      lattice(most, trouble);
    }
    if (out_.copies.size() > most) trouble = CopyTrouble::too_many;
    if (trouble != CopyTrouble::none && trouble != CopyTrouble::no_wrap) out_.copies.clear();
    return std::move(out_);
  }

 private:
  [[nodiscard]] bool flat() const { return options_.way != CopyWay::ring && options_.way != CopyWay::path; }
  [[nodiscard]] bool many_rows() const { return options_.way != CopyWay::row; }
  [[nodiscard]] CopyEdge edge() const { return out_.room.empty() ? CopyEdge::whole : options_.edge; }

  [[nodiscard]] Affine about(const Affine& map) const { return about_middle(middle_, map); }

  /// The motif as it is in this part of the pattern.
  const Spaced& variant(int column, int row) {
    const int at = 2 * parity(row) + parity(column);
    auto& known = variants_[static_cast<std::size_t>(at)];
    if (!known) {
      if (!spaced_) spaced_ = spaced(motif_, std::max(0.0, options_.gap_mm));
      known = transformed(*spaced_, about(turned_by(options_.turned, column, row)));
    }
    return *known;
  }

  /// How far from column to column, so that shapes in a row keep the gap.
  double shapes_across() {
    double pitch = 0;
    for (int i = 1; i == 1 || pitch * i < size_.x + options_.gap_mm; ++i) {
      for (int row = 0; row <= (by_row(options_.turned) ? 1 : 0); ++row) {
        for (int column = 0; column <= (by_column(options_.turned) ? 1 : 0); ++column) {
          const auto t = clear_from(variant(column, row), variant(column + i, row).lines, {1, 0}, {});
          if (t) pitch = std::max(pitch, *t / i);
        }
      }
      if (pitch <= kLeastPitch) return kLeastPitch;
    }
    return pitch;
  }
  /// How far from row to row, columns being this far apart.
  double shapes_down(double pitch) {
    double down = 0;
    const double far = size_.x + options_.gap_mm;
    const auto reach = static_cast<int>(std::ceil(far / pitch)) + 1;
    for (int j = 1; j == 1 || down * j < size_.y + options_.gap_mm; ++j) {
      for (int row = 0; row < 2; ++row) {
        const double shift = (parity(row + j) - parity(row)) * shift_share() * pitch;
        for (int i = -reach; i <= reach; ++i) {
          if (std::abs(i * pitch + shift) > far) continue;
          for (int column = 0; column <= (by_column(options_.turned) ? 1 : 0); ++column) {
            const auto t =
                clear_from(variant(column, row), variant(column + i, row + j).lines, {0, 1}, {i * pitch + shift, 0});
            if (t) down = std::max(down, *t / j);
          }
        }
      }
      if (down <= kLeastPitch) return kLeastPitch;
    }
    return down;
  }
  /// The least pitch of a lattice that is sized as a whole, its rows so many pitches apart.
  double shapes_of_lattice(double row_share) {
    double pitch = 0;
    const double far = std::hypot(size_.x, size_.y) + options_.gap_mm;
    constexpr int kReach = 6;
    for (int j = 0; j <= kReach; ++j) {
      for (int i = -kReach; i <= kReach; ++i) {
        if (j == 0 && i <= 0) continue;
        for (int row = 0; row < 2; ++row) {
          const Vec v{i + (parity(row + j) - parity(row)) * shift_share(), j * row_share};
          if (pitch * norm(v) >= far) continue;
          for (int column = 0; column <= (by_column(options_.turned) ? 1 : 0); ++column)
            keep_clear(pitch, variant(column, row), variant(column + i, row + j).lines, v);
        }
      }
    }
    return std::max(pitch, kLeastPitch);
  }
  [[nodiscard]] double shift_share() const {
    return options_.way == CopyWay::brick ? options_.shift : options_.way == CopyWay::hex ? 0.5 : 0;
  }
  [[nodiscard]] bool square() const { return options_.turned == CopyTurned::p4 && many_rows(); }

  /// From column to column and from row to row.
  Vec pitches() {
    const bool hex = options_.way == CopyWay::hex;
    const double gap = options_.gap_mm;
    switch (options_.by) {
      case CopyBy::gap: {
        if (hex) {
          const double p = std::max(size_.x + gap, (size_.y + gap) / kHexRow);
          return {p, p * kHexRow};
        }
        const Vec p{size_.x + gap, size_.y + gap};
        return square() ? Vec{std::max(p.x, p.y), std::max(p.x, p.y)} : p;
      }
      case CopyBy::shapes: {
        if (hex || square()) {
          const double p = shapes_of_lattice(hex ? kHexRow : 1);
          return {p, hex ? p * kHexRow : p};
        }
        const double p = shapes_across();
        return {p, many_rows() ? shapes_down(wrapped(p, 0)) : p};
      }
      case CopyBy::pitch: {
        const double p = options_.pitch_mm;
        return {p, hex ? p * kHexRow : options_.pitch_down_mm > 0 && !square() ? options_.pitch_down_mm : p};
      }
      case CopyBy::spread:
        break;
    }
    // The number and the room are said.
    const auto spread = [&](double room, double size, double number, double more) {
      if (edge() == CopyEdge::wrap) return room / number;
      return number - 1 + more > 0 ? (room - size) / (number - 1 + more) : room;
    };
    const double p =
        spread(options_.room.x, size_.x, options_.across, many_rows() && options_.down > 1 ? shift_share() : 0);
    if (hex && edge() != CopyEdge::wrap) return {p, p * kHexRow};
    return {p, square() ? p : spread(options_.room.y, size_.y, options_.down, 0)};
  }

  /// How many periods a room has that wraps around, and the pitch that this makes.
  [[nodiscard]] int periods(double room, double pitch, bool even) const {
    int n = std::max(1, static_cast<int>(std::floor(std::min(1e6, (room + kCopyFits) / std::max(pitch, 1e-9)))));
    if (even && n % 2 != 0) n = std::max(2, n - 1);
    return n;
  }
  [[nodiscard]] double wrapped(double pitch, int axis) const {
    if (edge() != CopyEdge::wrap) return pitch;
    const double room = axis == 0 ? options_.room.x : options_.room.y;
    return room / periods(room, pitch, axis == 0 ? even_columns() : even_rows());
  }
  [[nodiscard]] bool even_columns() const { return by_column(options_.turned); }
  [[nodiscard]] bool even_rows() const { return by_row(options_.turned) || (shift_share() > 0 && many_rows()); }

  void lattice(std::size_t most, CopyTrouble& trouble) {
    Vec p = pitches();
    int columns = options_.across, rows = many_rows() ? options_.down : 1;
    const bool wraps = edge() == CopyEdge::wrap;
    const double w = options_.room.x, h = options_.room.y;
    if (wraps) {
      columns = options_.fill ? periods(w, p.x, even_columns()) : columns;
      rows = !many_rows() ? 1 : options_.fill ? periods(h, p.y, even_rows()) : rows;
      if (!options_.fill && ((even_columns() && columns % 2 != 0) || (even_rows() && many_rows() && rows % 2 != 0)))
        trouble = CopyTrouble::no_wrap;
      p = {w / columns, many_rows() ? h / rows : p.y};
    } else if (options_.fill) {
      const Fit across = fitting(w, size_.x, p.x), down = fitting(h, size_.y, p.y);
      columns = across.count, rows = many_rows() ? down.count : std::min(1, down.count);
      out_.left_over = {across.left_over, many_rows() ? down.left_over : std::max(0.0, h - size_.y)};
    }
    out_.columns = columns, out_.rows = rows;
    out_.pitch_mm = columns > 1 || wraps ? p.x : 0;
    out_.pitch_down_mm = rows > 1 || (wraps && many_rows()) ? p.y : 0;
    if (static_cast<double>(columns) * rows > static_cast<double>(most)) {
      trouble = CopyTrouble::too_many;
      return;
    }
    if (out_.room.empty()) {
      for (int r = 0; r < rows; ++r) {
        for (int c = 0; c < columns; ++c) add(c, r, {(c + shifted(r)) * p.x, r * p.y});
      }
      return;
    }
    const CopyEdge at_edge = edge();
    const double run_over = many_rows() && !options_.fill && rows > 1 ? shift_share() : 0;
    const Vec first{-(columns - 1 + (wraps ? 0 : run_over)) / 2.0 * p.x, -(rows - 1) / 2.0 * p.y};
    if (!options_.fill && at_edge == CopyEdge::whole) {
      for (int r = 0; r < rows; ++r) {
        for (int c = 0; c < columns; ++c) add(c, r, first + Vec{(c + shifted(r)) * p.x, r * p.y});
      }
      return;
    }
    // All that lie in the room, or that reach into it.
    const auto beyond = [&](double size, double pitch, double number) {
      return at_edge == CopyEdge::cut ? static_cast<int>(std::clamp(size / std::max(pitch, 1e-9), 0.0, number)) + 2 : 1;
    };
    const int more_c = wraps ? 0 : beyond(size_.x, p.x, 1000),
              more_r = wraps || !many_rows() ? 0 : beyond(size_.y, p.y, 1000);
    for (int r = -more_r; r < rows + more_r; ++r) {
      for (int c = -more_c; c < columns + more_c; ++c) {
        const Vec by = first + Vec{(c + shifted(r)) * p.x, r * p.y};
        if (wraps) {
          wrap(c, r, by);
        } else {
          place(c, r, by);
        }
        if (out_.copies.size() > most) return;
      }
    }
  }
  [[nodiscard]] double shifted(int row) const { return parity(row) * shift_share(); }

  void add(int column, int row, Vec by, bool cut = false) {
    out_.copies.push_back(
        {column, row, Affine::move(by.x, by.y) * about(turned_by(options_.turned, column, row)), cut});
  }
  [[nodiscard]] Box box_at(int column, int row, Vec by) {
    auto& known = boxes_[static_cast<std::size_t>(2 * parity(row) + parity(column))];
    if (!known) known = bounds_of_all(transformed_all(motif_, about(turned_by(options_.turned, column, row))));
    return {known->x0 + by.x, known->y0 + by.y, known->x1 + by.x, known->y1 + by.y};
  }
  /// Whole copies where they are in the room; others where it cuts them off.
  void place(int column, int row, Vec by) {
    const Box b = box_at(column, row, by);
    const bool whole = out_.room.grown(kCopyFits).contains(b);
    if (whole || (options_.edge == CopyEdge::cut && out_.room.grown(-kCopyFits).overlaps(b)))
      add(column, row, by, !whole);
  }
  /// A copy of a room without edges: what runs over at one side comes in at the other.
  void wrap(int column, int row, Vec by) {
    const Box& room = out_.room;
    for (int y = -1; y <= 1; ++y) {
      for (int x = -1; x <= 1; ++x) {
        const Vec at = by + Vec{x * room.width(), y * room.height()};
        const Box b = box_at(column, row, at);
        if (!room.grown(-kCopyFits).overlaps(b)) continue;
        add(column, row, at, !room.grown(kCopyFits).contains(b));
      }
    }
  }

  /// Rosettes of six around the points of a honeycomb, as near to each other as the six are among themselves.
  void rosette(std::size_t most, CopyTrouble& trouble) {
    if (edge() == CopyEdge::wrap) trouble = CopyTrouble::no_wrap;
    const double apart = std::hypot(size_.x, size_.y) + options_.gap_mm;
    double radius = options_.by == CopyBy::pitch ? options_.pitch_mm : apart;
    if (options_.by == CopyBy::shapes) radius = shapes_of_rosettes();
    if (options_.by == CopyBy::spread)
      radius = (options_.room.x - size_.x) / (kRosette * std::max(0, options_.across - 1) + std::numbers::sqrt3);
    if (radius <= kCopyFits) return;
    const double pitch = radius * kRosette;
    int columns = options_.across, rows = options_.down;
    const double w = radius * std::numbers::sqrt3 + size_.x, h = 2 * radius + size_.y;
    if (options_.fill) {
      const Fit across = fitting(options_.room.x, w, pitch), down = fitting(options_.room.y, h, pitch * kHexRow);
      columns = across.count, rows = down.count;
      out_.left_over = {across.left_over, down.left_over};
    }
    if (6.0 * columns * rows > static_cast<double>(most)) {
      trouble = CopyTrouble::too_many;
      return;
    }
    out_.columns = columns, out_.rows = rows;
    out_.pitch_mm = radius, out_.pitch_down_mm = 0;
    const bool cut = edge() == CopyEdge::cut;
    const Vec first =
        out_.room.empty() ? Vec{0, radius} : Vec{-(columns - 1) / 2.0 * pitch, -(rows - 1) / 2.0 * pitch * kHexRow};
    const int more = out_.room.empty() ? 0 : cut ? 2 : 1;
    for (int r = -more; r < rows + more; ++r) {
      for (int c = -more; c < columns + more; ++c) {
        const Vec at = first + Vec{(c + 0.5 * parity(r)) * pitch, r * pitch * kHexRow};
        for (int k = 0; k < 6; ++k) {
          // The first one stands upright above the point.
          const Affine turn = Affine::rotate(60.0 * k);
          const Vec by = at + turn({0, -radius});
          const Affine map = Affine::move(by.x, by.y) * about(turn);
          const Box b = bounds_of_all(transformed_all(motif_, map));
          const bool whole = out_.room.empty() || out_.room.grown(kCopyFits).contains(b);
          if (!whole && !(cut && out_.room.grown(-kCopyFits).overlaps(b))) continue;
          out_.copies.push_back({6 * c + k, r, map, !whole});
        }
      }
    }
  }
  double shapes_of_rosettes() {
    const Spaced own = spaced(motif_, std::max(0.0, options_.gap_mm));
    double radius = 0;
    // Each of a rosette with all of its own and of those around it.
    for (int k = 0; k < 6; ++k) {
      const Affine turn = Affine::rotate(60.0 * k);
      const auto lines = transformed_all(own.lines, about(turn));
      for (int r = -2; r <= 2; ++r) {
        for (int c = -2; c <= 2; ++c) {
          const Vec middle{(c + 0.5 * r) * kRosette, r * kRosette * kHexRow};
          if (k == 0 && c == 0 && r == 0) continue;
          const Vec v = middle + turn({0, -1}) - Vec{0, -1};
          keep_clear(radius, own, lines, v);
        }
      }
    }
    return std::max(radius, kLeastPitch);
  }

  const CopyOptions& options_;
  const std::vector<Polyline>& motif_;
  Box box_;
  Vec middle_, size_;  // the size of the largest of the variants
  std::optional<Spaced> spaced_;
  std::array<std::optional<Spaced>, 4> variants_;
  std::array<std::optional<Box>, 4> boxes_;
  Copies out_;
};

}  // namespace

std::size_t Copies::count() const {
  std::set<std::pair<int, int>> seen;
  for (const auto& copy : copies) seen.emplace(copy.column, copy.row);
  return seen.size();
}

Copies copies_of(const std::vector<Polyline>& motif, const CopyOptions& options, std::size_t most,
                 CopyTrouble& trouble) {
  return Arrangement(motif, options).run(most, trouble);
}

}  // namespace dotlane
