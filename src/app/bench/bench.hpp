// The bench: mat, sheets and pieces at true scale, to look at, select, move and size.
#pragma once

#include <QLabel>
#include <QToolButton>
#include <set>

#include "app/bench/ghost.hpp"
#include "app/bench/handles.hpp"
#include "app/bench/marks_layer.hpp"
#include "app/bench/sketch.hpp"
#include "app/bench/snapping.hpp"
#include "app/bench/table.hpp"
#include "app/lettering/typing.hpp"
#include "app/session.hpp"
#include "core/job/run_record.hpp"
#include "core/project/nodes.hpp"
#include "core/shape/step_handles.hpp"
#include "device/cutter_link.hpp"
#include "render/print_sheet.hpp"

namespace dotlane {

class Bench : public Table {
  Q_OBJECT
 public:
  Bench(Session& session, Typing& typing, QWidget* parent = nullptr);

  void zoomToFit() override;
  void zoomToSelection();

  /// Which mat load is on the bench.
  void setLoad(int load);
  [[nodiscard]] int load() const { return load_; }

  /// Whether the bench shows what lies on the mats rather than the figure. Where both are the same, as for a card that
  /// lies as drawn, pieces can be taken hold of there, too.
  void setOnMats(bool on);

  /// Whether all layers are shown on each other in their stock's colours, and what is hidden in them besides.
  void setStacked(bool on);
  [[nodiscard]] bool stacked() const { return stacked_; }
  void setHiddenShown(bool on);
  [[nodiscard]] bool hiddenShown() const { return hidden_shown_; }

  /// Shows the plan's marks up to a moment of its clock; a negative time ends that.
  void setScrub(double seconds);
  /// Shows what the cutter has marked and where its head is; null ends that.
  /// Null: no run. Of printed sheets, where they lie instead of where they were planned, by sheet id.
  void showRun(const RunRecord* record, std::shared_ptr<const Print> print = {}, std::map<int, Affine> lies = {});
  void moveHead(const HeadState& head);
  /// Makes these lines, or the place, stand out until the next selection.
  void point(const std::vector<LineRef>& lines, std::optional<Vec> at = {});
  /// A ring at a place, whatever is in sight.
  void ring(std::optional<Vec> at) { pointed_at_ = at, update(); }

  /// Whether what is dragged meets what lies around it, and the dots of the mat.
  void setSnapping(bool on, bool dots);
  [[nodiscard]] bool snaps() const { return snaps_; }
  [[nodiscard]] bool snapsToDots() const { return dots_; }

  /// How the piece could be held where it has just met something; none where it has not.
  [[nodiscard]] std::vector<Hold> meetings();

  /// Lets the hand draw, until Escape; once more ends it.
  void sketch(Sketch::What what);
  [[nodiscard]] const Sketch& sketching() const { return sketch_; }
  /// Bands and loops take what they touch, or only what they enclose.
  void setTouching(bool on);
  [[nodiscard]] bool touching() const { return touching_; }

  /// Selects the piece below the one that is selected, where the pointer is; below the lowest comes the top one again.
  void selectBelow();

  /// What clicks on the selected piece do, until Escape.
  void setPicking(Picking what);
  [[nodiscard]] Picking picking() const { return picking_; }

 signals:
  void loadChanged(int load);

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void mouseDoubleClickEvent(QMouseEvent* event) override;
  void keyPressEvent(QKeyEvent* event) override;
  void keyReleaseEvent(QKeyEvent* event) override;
  void focusOutEvent(QFocusEvent* event) override;
  void changeEvent(QEvent* event) override;
  bool event(QEvent* event) override;
  void inputMethodEvent(QInputMethodEvent* event) override;
  [[nodiscard]] QVariant inputMethodQuery(Qt::InputMethodQuery query) const override;
  void viewChanged() override;
  void nudge(double dx, double dy) override;
  void escape() override;

 private:
  enum class Drag { none, sketch, move, size, turn, slant, middle, guide, node, step, band, mark, picked };

  [[nodiscard]] QRectF canvas() const;
  [[nodiscard]] bool showsMats() const;
  /// Whether it shows the figure on a plain table: where parts lie otherwise on their sheets than in it.
  [[nodiscard]] bool plainTable() const;
  /// The figure, or what lies on all mats.
  [[nodiscard]] Drawing space() const;
  /// What of that the bench shows now.
  [[nodiscard]] Drawing shown() const;
  /// What of that hands can take: not what is locked.
  [[nodiscard]] Drawing reachable() const;
  [[nodiscard]] bool inReach(int piece) const;
  /// The pieces at a place, the top one first.
  [[nodiscard]] std::vector<int> piecesAt(QPointF at) const;
  /// Shows the outline alone of this piece, and takes what is under it; 0: of none.
  void lookUnder(int piece);
  /// Ends what keys did while they were held.
  void letUp();
  /// The mat loads with sheets of the piece's stock.
  [[nodiscard]] std::set<int> loadsOf(int piece) const;
  /// Around what is selected, as it is or as it was asked to be.
  [[nodiscard]] Box frame() const;
  /// For those who cannot see it.
  void sayChosen();
  void dropWanted();
  [[nodiscard]] bool hasHandles() const;
  [[nodiscard]] std::optional<Handle> handleAt(QPointF at) const;
  /// The handle of a recipe's step within reach of a place on the screen.
  [[nodiscard]] std::optional<StepHandle> stepHandleAt(QPointF at) const;
  [[nodiscard]] std::vector<StepHandle> stepHandles() const;
  void beginDrag(Drag drag);
  /// Carries out an edit of what is dragged, which goes where the map says.
  void dragEdit(const Affine& map, std::function<void()> edit);
  /// The pieces that are painted apart from a ghost.
  [[nodiscard]] Drawing aroundGhost() const;
  [[nodiscard]] std::string dragKey(const char* what) const;
  void dragMove(QPointF at, Qt::KeyboardModifiers keys);
  void dragSize(QPointF at, Qt::KeyboardModifiers keys);
  void dragTurn(QPointF at, Qt::KeyboardModifiers keys);
  void dragSlant(QPointF at, Qt::KeyboardModifiers keys);
  void dragMiddle(QPointF at, Qt::KeyboardModifiers keys);
  /// The nodes of the single line that is selected, where it is one of a plain piece.
  [[nodiscard]] std::vector<Node> nodes() const;
  [[nodiscard]] std::optional<Node> nodeAt(QPointF at) const;
  void dragNode(QPointF at, Qt::KeyboardModifiers keys);
  /// A double click: on a node it turns corner or smooth, on the line it adds one. Whether it was either.
  bool workNode(QPointF at);
  void paintNodes(QPainter& p);
  void dragGuide(QPointF at, Qt::KeyboardModifiers keys);
  void dropGuide(QPointF at);
  void mirrorBy(const Handle& handle);
  void placeBy(const Affine& map, const QString& label, const char* key);
  /// What there is to meet for this drag, if it is to meet anything.
  [[nodiscard]] const SnapScene* scene(Qt::KeyboardModifiers keys);
  [[nodiscard]] double reach() const { return kSnapPx / view_.px_per_mm; }
  /// A place of the screen, mm, brought to what lies around.
  [[nodiscard]] Vec metPlace(QPointF at, Qt::KeyboardModifiers keys);
  /// What the selection is turned and mirrored about, px, where that shows.
  [[nodiscard]] std::optional<QPointF> shownMiddle() const;
  /// On a ruler, a guide that is pulled from it: of this axis.
  [[nodiscard]] std::optional<Axis> rulerAt(QPointF at) const;
  [[nodiscard]] std::optional<std::size_t> guideAt(QPointF at) const;
  void showCursor(QPointF at);
  [[nodiscard]] std::optional<LineRef> hit(QPointF at) const;
  void clickAt(QPointF at, Qt::KeyboardModifiers keys);
  void selectGroup(int piece);
  /// Leaves out the contour at this place, or keeps it alone, by a step of its piece's recipe.
  void pickContour(QPointF at, bool keep);
  void pickPlace(QPointF at);
  void refresh();  // the art changed: paint it anew
  void paintArt(QPainter& p);
  void paintMarks(QPainter& p);
  void paintSelection(QPainter& p);
  void paintGuides(QPainter& p);
  void paintHeld(QPainter& p);
  void paintTape(QPainter& p);
  /// What the hand drew.
  void sketched(Sketch::What what, const std::vector<Vec>& places, bool closed);
  /// The same for the sketch, where that meets anything.
  [[nodiscard]] Vec sketchPlace(QPointF at, Qt::KeyboardModifiers keys);
  void selectCaught(const std::vector<Vec>& loop, bool more);
  void placeControls();
  void updateLoads();

  Session& session_;
  Typing& typing_;
  int load_ = 1;
  bool on_mats_ = false, plain_ = false;
  bool stacked_ = false, hidden_shown_ = true;
  int under_ = 0;  // the piece that is looked under

  MarksLayer marks_;
  const RunRecord* record_ = nullptr;
  std::shared_ptr<const Print> print_;  // of the run, or of what the play head runs through
  std::map<int, Affine> lies_;
  HeadState head_;
  double scrub_ = -1;
  std::vector<LineRef> pointed_;
  std::optional<Vec> pointed_at_;

  QPointF pointer_;  // where it was seen last
  Sketch sketch_;
  bool touching_ = false;
  QTimer let_up_;           // since a key that was held was let go
  bool tape_held_ = false;  // by its key, which ends it
  Drag drag_ = Drag::none;
  std::vector<LineRef> moved_lines_;  // single lines that are dragged; empty: whole pieces
  Box press_bounds_;
  std::optional<Box> wanted_;  // a size asked for whose recipes are still being worked out
  Handle handle_;
  StepHandle step_handle_;
  double turned_ = 0;
  std::vector<LineRef> had_;  // what was selected
  Ghost ghost_;
  bool ghosted_ = false;                                   // it was decided whether this drag has one
  std::vector<std::shared_ptr<const DrawnPiece>> around_;  // what is painted while there is a ghost
  Snapping snapping_;
  bool snaps_ = true, dots_ = false;
  Box start_;                       // the frame as it was, of the curves themselves
  std::optional<Vec> held_node_;    // the node that the hand has taken hold of
  std::optional<double> own_turn_;  // of the piece before it is turned
  std::optional<Vec> middle_;       // where it was put
  bool middle_shows_ = false;       // though it was not
  std::optional<NodeRef> node_;     // the one that was clicked
  Node dragged_node_;               // as it was
  Guide guide_;                     // that is being dragged
  std::size_t guide_at_ = 0;        // which of the project's; past the last one while it is new
  Picking picking_ = Picking::none;
  int drag_count_ = 0;

  QWidget* zoom_bar_;
  QToolButton* zoom_text_;
  QToolButton* load_button_;
};

}  // namespace dotlane
