// The assembly guide: the finished figure, one page a step from the back layer up, what lies on which sheet.
#pragma once

#include <QPainter>
#include <QPainterPath>
#include <QString>
#include <atomic>
#include <optional>
#include <string>
#include <utility>
#include <vector>

#include "core/error.hpp"
#include "core/layout/assembly.hpp"
#include "core/road.hpp"
#include "render/theme.hpp"
#include "render/view.hpp"

namespace dotlane {

/// The pages of a guide: first the figure, then its layers one above the other where there are several, then the steps,
/// backings face down where they are in tiles, then the sheets.
class AssemblyGuide {
 public:
  AssemblyGuide(const Project& project, const Derived& derived, bool top_first = false);

  struct Page {
    enum class What { figure, exploded, step, face_down, sheet };
    What what = What::figure;
    std::size_t index = 0;  ///< of the step, or of the sheet in Layout::sheets
  };
  [[nodiscard]] const std::vector<Page>& pages() const { return pages_; }
  [[nodiscard]] const std::vector<AssemblyStep>& steps() const { return steps_; }
  [[nodiscard]] QString heading(const Page& page) const;
  /// What is to be done, and which part comes from where: one line each.
  [[nodiscard]] QStringList lines(const Page& page) const;
  /// What to mind in a step, apart from its parts; may be empty.
  [[nodiscard]] QStringList hints(const Page& page) const;
  /// Around what the page's picture shows, mm: in the figure, on the mat, or in the exploded picture's own plane.
  [[nodiscard]] Box shown(const Page& page) const;
  /// The picture of a page, as large as the box allows.
  void paint(QPainter& painter, const QRectF& box, const Page& page) const;
  /// The same at this view; without the numbers and outlines of the parts that the page is about, if so wished.
  struct How {
    bool numbered = true;
    const Theme* theme = &light_theme();
    QRectF clip{};                            ///< px; what lies outside may be passed over
    const std::atomic<bool>* stop = nullptr;  ///< give up soon after it turns true
  };
  void paint(QPainter& painter, const View& view, const Page& page, const How& how) const;
  /// From the figure to where a copy shows in the page's picture, mm; nothing where it does not. `laid` is an index in
  /// Layout::laid.
  [[nodiscard]] std::optional<Affine> placed(std::size_t laid, const Page& page) const;
  /// Around all parts, mm.
  [[nodiscard]] Box figure() const;
  [[nodiscard]] bool anythingIn(const Box& box) const;
  /// The figure with the numbers of all its parts.
  void paintNumbered(QPainter& painter, const View& view) const;

 private:
  [[nodiscard]] QString partLine(std::size_t part) const;
  [[nodiscard]] std::size_t layers() const;
  /// From the figure into the exploded picture, for the layer at this place from the back.
  [[nodiscard]] Affine lifted(std::size_t layer) const;
  [[nodiscard]] Affine behind(const Page& page) const;
  void paintStep(QPainter& painter, const View& view, const AssemblyStep* step, const How& how) const;
  void paintFaceDown(QPainter& painter, const View& view, const AssemblyStep& step, const How& how) const;
  void paintExploded(QPainter& painter, const View& view, const How& how) const;
  void paintSheet(QPainter& painter, const View& view, std::size_t sheet, const How& how) const;

  const Project& project_;
  const Derived& derived_;
  bool top_first_;
  Box figure_;
  std::vector<AssemblyStep> steps_;
  std::vector<std::size_t> levels_;  // of each step
  std::vector<Page> pages_;
};

/// The number of a part in a ring.
void paint_part_number(QPainter& painter, QPointF at, int number, bool loud, const Theme& theme);
[[nodiscard]] QPainterPath path_of(const Region& region, const View& view);

/// The paper of pages, mm. Common sizes: ISO 216 A4, and 8.5 by 11 in.
struct Paper {
  double width_mm = 210, height_mm = 297;
};
[[nodiscard]] Paper paper_for(LengthUnit unit);

/// One page each. Says how many pages were written, as the poster does.
[[nodiscard]] Result<int> write_guide_pdf(const AssemblyGuide& guide, const std::string& title, const std::string& path,
                                          const Paper& paper = {});
/// The figure with its numbers at true scale, to lay the parts on: on as many pages as it takes, each
/// called by its row and place ("B3"), with a check line of 50 mm and crosses to glue by. Pages run on by
/// kPosterOverlap; empty ones are left out.
[[nodiscard]] Result<int> write_poster_pdf(const AssemblyGuide& guide, const std::string& title,
                                           const std::string& path, const Paper& paper = {});
inline constexpr double kPosterOverlap = 10;  // mm
/// Pages across and down.
[[nodiscard]] std::pair<int, int> poster_pages(const Box& figure, const Paper& paper = {});
/// A folder with index.html and a picture for each page. The folder is made where it is not there.
[[nodiscard]] Result<void> write_guide_folder(const AssemblyGuide& guide, const std::string& title,
                                              const std::string& path);

}  // namespace dotlane
