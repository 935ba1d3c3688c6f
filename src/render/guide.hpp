// The assembly guide: the finished figure, one page a step from the back layer up, what lies on which sheet.
#pragma once

#include <QPainter>
#include <QString>
#include <string>
#include <utility>
#include <vector>

#include "core/error.hpp"
#include "core/layout/assembly.hpp"
#include "core/road.hpp"
#include "render/view.hpp"

namespace dotlane {

/// The pages of a guide: first the figure, then the steps, backings face down where they are in tiles, then the sheets.
class AssemblyGuide {
 public:
  AssemblyGuide(const Project& project, const Derived& derived, bool top_first = false);

  struct Page {
    enum class What { figure, step, face_down, sheet };
    What what = What::figure;
    std::size_t index = 0;  ///< of the step, or of the sheet in Layout::sheets
  };
  [[nodiscard]] const std::vector<Page>& pages() const { return pages_; }
  [[nodiscard]] QString heading(const Page& page) const;
  /// What is to be done, and which part comes from where: one line each.
  [[nodiscard]] QStringList lines(const Page& page) const;
  /// The picture of a page, as large as the box allows.
  void paint(QPainter& painter, const QRectF& box, const Page& page) const;
  /// Around all parts, mm.
  [[nodiscard]] Box figure() const;
  [[nodiscard]] bool anythingIn(const Box& box) const;
  /// The figure with the numbers of all its parts.
  void paintNumbered(QPainter& painter, const View& view) const;

 private:
  [[nodiscard]] QString partLine(std::size_t part) const;
  void paintStep(QPainter& painter, const QRectF& box, const AssemblyStep* step, bool face_down) const;
  void paintSheet(QPainter& painter, const QRectF& box, std::size_t sheet) const;

  const Project& project_;
  const Derived& derived_;
  std::vector<AssemblyStep> steps_;
  std::vector<Page> pages_;
};

/// One page each on paper of 210 x 297 mm.
[[nodiscard]] Result<void> write_guide_pdf(const AssemblyGuide& guide, const std::string& title,
                                           const std::string& path);
/// The figure with its numbers at true scale, to lay the parts on: on as many pages of 210 x 297 mm as it takes, each
/// called by its row and place ("B3"), with a check line of 50 mm and crosses to glue by. Pages run on by
/// kPosterOverlap; empty ones are left out.
[[nodiscard]] Result<void> write_poster_pdf(const AssemblyGuide& guide, const std::string& title,
                                            const std::string& path);
inline constexpr double kPosterOverlap = 10;  // mm
/// Pages across and down.
[[nodiscard]] std::pair<int, int> poster_pages(const Box& figure);
/// A folder with index.html and a picture for each page. The folder is made where it is not there.
[[nodiscard]] Result<void> write_guide_folder(const AssemblyGuide& guide, const std::string& title,
                                              const std::string& path);

}  // namespace dotlane
