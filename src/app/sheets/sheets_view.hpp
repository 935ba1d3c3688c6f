// All sheets at one scale, each on its mat, side by side; parts are taken hold of, moved between sheets and turned.
#pragma once

#include <QPainterPath>

#include "app/bench/table.hpp"
#include "app/sheets/sheet_desk.hpp"
#include "core/layout/room.hpp"

namespace dotlane {

class SheetsView : public Table {
  Q_OBJECT
 public:
  SheetsView(Session& session, SheetDesk& desk, QWidget* parent = nullptr);

  void zoomToFit() override;
  /// Shows a picture of the mat under what lies on it; it is not kept with the project.
  void setUnder(int load, const QImage& picture);
  /// The view of the mat of a load: mm on it to px here.
  [[nodiscard]] View view_of(int load) const;
  /// Where the waiting part is shown in the tray, px; empty when it is not.
  [[nodiscard]] QRectF in_tray(std::size_t laid) const;
  /// The knob that turns what is chosen; nothing where there is none.
  [[nodiscard]] std::optional<QPointF> knob() const;

 protected:
  void paintEvent(QPaintEvent* event) override;
  void resizeEvent(QResizeEvent* event) override;
  void mousePressEvent(QMouseEvent* event) override;
  void mouseMoveEvent(QMouseEvent* event) override;
  void mouseReleaseEvent(QMouseEvent* event) override;
  void leaveEvent(QEvent* event) override;
  void changeEvent(QEvent* event) override;
  void nudge(double dx, double dy) override;
  void escape() override;

 private:
  struct MatCell {
    int load = 1;
    Vec at;  ///< of the mat's top left corner, mm on the table
  };
  enum class Drag { none, parts, turn, band };
  /// Where what is dragged would go, and what is in its way there.
  struct Aim {
    std::optional<MatCell> cell;
    int sheet = 0;
    bool tray = false;
    bool refused = false;  ///< the sheet is of another stock
    bool inside = true;
    std::vector<Clash> clashes;
  };

  void arrange();
  [[nodiscard]] QRectF table() const;
  [[nodiscard]] QRectF tray() const;
  [[nodiscard]] const MatCell* cell_at(QPointF at) const;
  [[nodiscard]] const MatCell* cell_of(int load) const;
  [[nodiscard]] View view_of(const MatCell& cell) const;
  [[nodiscard]] std::vector<std::size_t> waiting() const;
  /// A copy's body where the map puts it, in the coordinates of the view.
  [[nodiscard]] QPainterPath body(std::size_t laid, const View& view, const Affine& map) const;
  /// Where it lies: mm on its mat, px, and the box around it, px. Empty while it waits.
  [[nodiscard]] const QPainterPath& body(std::size_t laid) const;
  [[nodiscard]] QPainterPath onScreen(std::size_t laid) const;
  [[nodiscard]] QRectF boxOf(std::size_t laid) const;
  [[nodiscard]] QPointF middle(std::size_t laid) const;
  /// Around what is chosen and lies on sheets, as far as it leaves room for its knob; empty where nothing is.
  [[nodiscard]] QRectF chosenFrame() const;
  [[nodiscard]] std::optional<std::size_t> part_at(QPointF at) const;
  [[nodiscard]] const Sheet* sheet_at(QPointF at) const;
  void followDesk();

  void beginParts(std::size_t laid);
  void takeUp(const Put& put);
  void dragParts(QPointF at);
  void dragTurn(QPointF at, bool even);
  void aimAt(QPointF at, Vec moved);
  void drop();
  void endDrag();

  void paintCaptions(QPainter& p);
  void paintOffcuts(QPainter& p);
  void paintParts(QPainter& p);
  void paintRing(QPainter& p, std::size_t laid);
  void paintTray(QPainter& p);
  void paintDragged(QPainter& p);

  Session& session_;
  SheetDesk& desk_;
  std::vector<MatCell> cells_;
  std::map<int, QImage> under_;  // by load
  std::shared_ptr<const Derived> shown_;
  mutable std::vector<std::optional<QPainterPath>> bodies_;  // mm on the mat, by laid part
  mutable std::vector<std::optional<Vec>> middles_;          // the same

  Drag drag_ = Drag::none;
  bool landed_ = false;            // let go, and not laid yet
  std::vector<Put> puts_;          // what is dragged; maps are onto the table before it was moved
  std::vector<Affine> base_;       // of each, at the press
  std::vector<Clearance> shapes_;  // of each, there
  Aim aim_;
  double turned_ = 0;
  struct Ready {
    int sheet = 0;
    std::optional<Room> room;
  };
  Ready ready_;  // the sheet under what is dragged, without it
};

}  // namespace dotlane
