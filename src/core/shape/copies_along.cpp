#include <algorithm>
#include <cmath>
#include <numbers>

#include "core/shape/copies_motif.hpp"

namespace dotlane {
namespace {

class AlongLine {
 public:
  AlongLine(const std::vector<Polyline>& motif, const CopyOptions& options)
      : options_(options), motif_(motif), box_(bounds_of_all(motif)), middle_(box_.centre()) {}
  Copies take() { return std::move(out_); }

  void ring() {
    int count = options_.across;
    double radius = options_.radius_mm;
    if (options_.radius_follows) {
      radius = ring_radius(count);
    } else if (options_.fill) {
      int fits = 1, too_many = 201;
      while (too_many - fits > 1) {
        const int n = (fits + too_many) / 2;
        (ring_radius(n) <= radius + kCopyFits ? fits : too_many) = n;
      }
      count = fits;
    }
    const Affine down = Affine::move(0, radius);
    for (int k = 0; k < count; ++k) {
      // The first one stays where it is; the middle of the ring lies below it.
      const Affine turn = about(down * Affine::rotate(360.0 * k / count) * down.inverse());
      const Vec by = turn(middle_) - middle_;
      out_.copies.push_back({k, 0, k == 0 ? Affine{} : options_.turn ? turn : Affine::move(by.x, by.y), false});
    }
    out_.columns = count, out_.rows = 1;
    out_.radius_mm = radius;
    out_.pitch_mm = count > 1 ? 2 * std::numbers::pi * radius / count : 0;
  }

  void path(CopyTrouble& trouble) {
    const Polyline* longest = nullptr;
    double length = 0;
    for (const auto& line : options_.path) {
      const double l = length_of(line);
      if (l > length) longest = &line, length = l;
    }
    if (!longest) {
      trouble = CopyTrouble::no_path;
      return;
    }
    const bool closed = longest->closed;
    const auto places = [&](int count, double pitch, double from) {
      std::vector<double> out;
      for (int k = 0; k < count; ++k) out.push_back(from + k * pitch);
      return out;
    };
    const auto even = [&](int count) {
      return places(count, closed ? length / count : length / std::max(1, count - 1),
                    closed || count > 1 ? 0 : length / 2);
    };
    const auto longest_count = [&](double pitch) {
      return static_cast<int>(std::min(20'000.0, std::floor((length + kCopyFits) / pitch))) + (closed ? 0 : 1);
    };
    int count = options_.across;
    double pitch = options_.by == CopyOptions::By::pitch ? options_.pitch_mm : box_.width() + options_.gap_mm, from = 0;
    std::vector<double> at;
    const bool distance_said = options_.by == CopyOptions::By::pitch || options_.by == CopyOptions::By::gap;
    if (options_.by == CopyOptions::By::shapes) {
      if (options_.fill)
        count = most_on(*longest, even,
                        std::max(1, longest_count(std::max(0.5, std::min(box_.width(), box_.height()) / 4))));
      at = even(count);
      pitch = count > 1 ? at[1] - at[0] : 0;
    } else if (options_.fill && distance_said) {
      if (pitch <= kCopyFits) return;
      count = std::max(1, longest_count(pitch));
      if (closed) {
        pitch = length / count;
      } else {
        out_.left_over.x = length - (count - 1) * pitch;
        from = out_.left_over.x / 2;
      }
      at = places(count, pitch, from);
    } else if (options_.by == CopyOptions::By::pitch) {
      at = places(count, pitch, 0);
      std::erase_if(at,
                    [&](double s) { return s > length + kCopyFits || (closed && s > length - kCopyFits && s > 0); });
    } else {
      at = even(count);
      pitch = count > 1 ? at[1] - at[0] : 0;
    }
    int k = 0;
    for (const Affine& map : along(*longest, at)) out_.copies.push_back({k++, 0, map, false});
    out_.columns = k, out_.rows = 1;
    out_.pitch_mm = k > 1 ? pitch : 0;
  }

 private:
  [[nodiscard]] Affine about(const Affine& map) const { return about_middle(middle_, map); }

  /// The least radius for so many.
  double ring_radius(int count) {
    const Spaced own = spaced(motif_, std::max(0.0, options_.gap_mm));
    double radius = 0;
    const auto on_ring = [&](int k) {  // of radius 1
      const double turn = 2 * std::numbers::pi * k / count;
      return Vec{std::sin(turn), -std::cos(turn)};
    };
    const auto look = [&](int from, int to) {
      const Vec v = on_ring(to) - on_ring(from);
      keep_clear(radius, own,
                 options_.turn ? transformed_all(own.lines, about(Affine::rotate(360.0 * to / count))) : own.lines, v);
    };
    if (options_.turn) {
      for (int k = 1; k < count; ++k) look(0, k);
    } else {  // they are not turned, so it matters where on the ring the two are
      for (int k = 0; k < count; ++k) {
        for (int next = 1; next <= std::min(3, count - 1); ++next) look(k, k + next);
      }
    }
    return radius;
  }
  /// Places on the path, so far along it each, turned by its direction there.
  [[nodiscard]] std::vector<Affine> along(const Polyline& path, const std::vector<double>& places) const {
    std::vector<Affine> out;
    std::size_t i = 1;
    double before = 0;
    for (const double place : places) {
      double step = distance(path.points[i - 1], path.points[i]);
      while (i + 1 < path.points.size() && before + step < place) {
        before += step, ++i;
        step = distance(path.points[i - 1], path.points[i]);
      }
      const Vec a = path.points[i - 1], b = path.points[i];
      const double t = step > 0 ? std::clamp((place - before) / step, 0.0, 1.0) : 0;
      const Vec by = a + (b - a) * t - middle_;
      const double angle = std::atan2(b.y - a.y, b.x - a.x) * 180 / std::numbers::pi;
      out.push_back(Affine::move(by.x, by.y) * about(options_.turn ? Affine::rotate(angle) : Affine{}));
    }
    return out;
  }
  /// The most that keep the gap from the ones beside them.
  template <class Even>
  int most_on(const Polyline& path, Even even, int high) {
    int fits = 1, too_many = high + 1;
    while (too_many - fits > 1) {
      const int n = (fits + too_many) / 2;
      Copies tried;
      int k = 0;
      for (const Affine& map : along(path, even(n))) tried.copies.push_back({k++, 0, map, false});
      const auto least = least_between(motif_, tried);
      (!least || *least >= options_.gap_mm - kCopyFits ? fits : too_many) = n;
    }
    return fits;
  }

  const CopyOptions& options_;
  const std::vector<Polyline>& motif_;
  Box box_;
  Vec middle_;
  Copies out_;
};

}  // namespace

Copies copies_in_ring(const std::vector<Polyline>& motif, const CopyOptions& options) {
  AlongLine line(motif, options);
  line.ring();
  return line.take();
}

Copies copies_on_path(const std::vector<Polyline>& motif, const CopyOptions& options, CopyTrouble& trouble) {
  AlongLine line(motif, options);
  line.path(trouble);
  return line.take();
}

}  // namespace dotlane
