// What goes to the printer before a sheet is cut, and how it shows where it lies.
#pragma once

#include <QImage>
#include <QPainter>
#include <map>
#include <mutex>
#include <string>
#include <vector>

#include "core/error.hpp"
#include "core/layout/print_art.hpp"
#include "core/road.hpp"
#include "render/view.hpp"

namespace dotlane {

/// The print of a project's sheets. It is worked out sheet by sheet when it is first painted, which may take long; any
/// thread may paint it.
class Print {
 public:
  explicit Print(std::shared_ptr<const Derived> derived) : derived_(std::move(derived)) {}
  /// Art and marks of a sheet by its id, as printed and laid where `lies` puts it from where it was planned.
  void paint(QPainter& painter, const View& view, int sheet, const Affine& lies) const;
  /// Whether the sheet is printed at all.
  [[nodiscard]] bool has(int sheet) const;
  [[nodiscard]] bool any() const;
  [[nodiscard]] const Derived& of() const { return *derived_; }

 private:
  [[nodiscard]] const std::vector<PrintShape>& art(const LaidSheet& sheet) const;

  std::shared_ptr<const Derived> derived_;
  mutable std::mutex mutex_;
  mutable std::map<int, std::vector<PrintShape>> art_;  // by sheet id, as it is printed
};

/// One page a sheet that is printed, as large as the sheet; with `sheet` that one alone. Says how many pages.
[[nodiscard]] Result<int> write_print_pdf(const Print& print, int sheet, const std::string& path);
/// The same page as a picture; the sheet must be one that is printed.
[[nodiscard]] QImage print_image(const Print& print, int sheet, double px_per_mm);

}  // namespace dotlane
