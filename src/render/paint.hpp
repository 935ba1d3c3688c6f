// Painting the values of the road on any QPainter: bench, thumbnails, PNG and PDF all use these.
#pragma once

#include <QPainter>
#include <atomic>
#include <map>

#include "core/job/run_record.hpp"
#include "core/layout/print_art.hpp"
#include "core/layout/print_marks.hpp"
#include "core/plan/plan.hpp"
#include "core/project/drawing.hpp"
#include "render/theme.hpp"
#include "render/view.hpp"

namespace dotlane {

/// How far apart the mat's dots are: 20 mm, or as far as leaves room between them.
[[nodiscard]] double mat_dots_mm(const View& view);

/// The mat with its dots and a rim around it, so that it shows around sheets as large as itself.
void paint_mat(QPainter& painter, const View& view, const Machine& machine, const Theme& theme, const QRectF& clip);

/// The mat's outline alone, for scale, with its size.
void paint_ghost_mat(QPainter& painter, const View& view, const Machine& machine, const Theme& theme);

/// The sheets of one mat load (0: of all) in their stock's colour: as windows onto the figure, on the mat as what lies
/// there is drawn, or as the tools meet them, which differs for scraps in a job that is mirrored.
/// Whole sheets lie where `lies` puts them instead of where they were planned, by their ids.
enum class Space { figure, mat, tools };
void paint_sheets(QPainter& painter, const View& view, const Project& project, int load, Space space,
                  const Theme& theme, const std::map<int, Affine>& lies = {});

/// A picture where its piece is drawn.
void paint_picture(QPainter& painter, const View& view, const PrintedPicture& picture, const Affine& lies);

/// The marks of a printed sheet where `lies` puts them.
void paint_dots(QPainter& painter, const View& view, const PrintMarks& marks, const Affine& lies);

/// The border inside which tools may work, above the sheets.
void paint_usable_area(QPainter& painter, const View& view, const Machine& machine, const Theme& theme);

struct LineOptions {
  double strength = 1;  ///< opacity, 0 to 1
  /// Pieces in their stock's colour, upper ones over lower ones; of plates of a stencil, the paint; helpers not at all.
  bool stacked = false;
  bool hidden = true;                       ///< when stacked: what lies under is shown faintly
  bool shadows = false;                     ///< when stacked: each layer throws one, a hair thick
  int outlined = 0;                         ///< id of a piece that shows its outline alone, to see what lies under it
  QRectF clip;                              ///< px; lines outside are passed over
  const std::atomic<bool>* stop = nullptr;  ///< give up soon after it turns true
};

/// Every line in its role's pattern, strokes of fills as they will look: at tip width, in the colour of the mark.
/// Points nearer than half a pixel to the last one painted are passed over. With more than 20,000 segments in sight,
/// lines are a pixel wide and drawn straight into the painter's image, if it has one (PixelLines). Returns the number
/// painted.
std::size_t paint_lines(QPainter& painter, const View& view, const Project& project, const Drawing& drawing,
                        const Theme& theme, const LineOptions& options);

/// The course of these lines as wide strokes in one colour, to show what is selected or found.
void paint_highlight(QPainter& painter, const View& view, const Drawing& drawing, const std::vector<LineRef>& lines,
                     const QColor& color, double width_px);

/// What a tool marks on the stock as it would look, at tip width: ink in its colour, engraving as mark_color() says,
/// cuts as gaps, scores as soft dents.
[[nodiscard]] QPen mark_pen(const View& view, const Project& project, const std::string& tool, const Stock* stock,
                            const Theme& theme);
/// The same for a mark of a run, which has at least one point.
[[nodiscard]] QPen mark_pen(const View& view, const Project& project, const Mark& mark, const Theme& theme);

/// What a run has marked on a mat.
void paint_marks(QPainter& painter, const View& view, const Project& project, const RunRecord& record, int mat,
                 const Theme& theme);

/// The head: a ring with a cross, filled while the tool is down.
void paint_head(QPainter& painter, QPointF at, bool down, const Theme& theme);

/// A small picture of one piece, as large as the box allows.
void paint_thumbnail(QPainter& painter, const QRectF& box, const Project& project, const DrawnPiece& piece,
                     const Theme& theme);

}  // namespace dotlane
