// What the views of the Sheets stage share: which parts are chosen or pointed at, how well each sheet is used, and the
// edits of how parts lie.
#pragma once

#include <QElapsedTimer>
#include <QObject>
#include <functional>
#include <map>
#include <optional>
#include <set>

#include "app/session.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/nest.hpp"

namespace dotlane {

/// A copy of a part, known across edits.
struct PartCopy {
  PartKey key;
  int copy = 1;
  friend auto operator<=>(const PartCopy&, const PartCopy&) = default;
};

class SheetDesk : public QObject {
  Q_OBJECT
 public:
  SheetDesk(Session& session, QObject* parent);

  /// What the views show: it stays what it is until they hear of a change, while the session may be ahead.
  [[nodiscard]] const std::shared_ptr<const Derived>& shown() const { return shown_; }
  [[nodiscard]] const Layout& layout() const { return shown_->layout; }

  /// Indices in layout().laid, in their order.
  [[nodiscard]] const std::vector<std::size_t>& chosen() const { return chosen_; }
  void choose(const std::vector<std::size_t>& laid);
  [[nodiscard]] bool is_chosen(std::size_t laid) const;
  [[nodiscard]] std::optional<std::size_t> hovered() const { return hovered_; }
  void hover(std::optional<std::size_t> laid);
  /// Chooses the parts that these lines belong to.
  void point(const std::vector<LineRef>& lines);
  /// The sheet whose card is shown: the one picked last, else the first.
  [[nodiscard]] const Sheet* sheet() const;
  void pickSheet(int id);

  /// "Neck", or "Neck, 2 of 6" where there are several copies.
  [[nodiscard]] QString name_of(std::size_t laid) const;
  /// 1 for the first sheet, in the order in which they are run.
  [[nodiscard]] int number_of(int sheet) const;
  /// Worked out aside when first asked for after a change; what it was, or nothing, until then.
  [[nodiscard]] const SheetUse* use_of(int sheet);
  /// The record of the part, or null.
  [[nodiscard]] const PartRecord* record_of(std::size_t laid) const;

  /// Edits of what is chosen. Degrees counter-clockwise, lengths in mm on its sheet.
  void nudge(Vec by);
  void turn(double degrees);
  void setLeft(double mm);
  void setTop(double mm);
  void setTurn(double degrees);
  void setCopies(int copies);
  void setAllCopies(int copies);
  void place(const std::vector<Put>& puts, const QString& label);
  void togglePinned();
  void toggleTogether();
  void toggleNotNow();
  void takeOff();
  /// The outlines of what is chosen go on the shelf as scraps, as they are drawn.
  void keepAsScraps();
  void runEverything();
  /// What may take long is worked out aside; what was changed meanwhile stays as it is. Room is found on any sheet, on
  /// the one that each lies on, or on this one.
  void findRoom();
  void turnToFit();
  void findRoomOn(int sheet);
  void pushTogether();

 signals:
  void changed();  ///< what is chosen or pointed at, the sheet shown, or the layout itself
  void said(const QString& message, bool problem);

 private:
  /// Gets what is chosen as indices in the layout's `laid`.
  using Change =
      std::function<Project(const Project&, const Drawing&, const Layout&, const std::vector<std::size_t>& chosen)>;
  void edit(const Change& change, const QString& label, const std::string& merge_key = {});
  void editAside(const Change& change, const QString& label);
  /// The top left corner of the box around what is chosen, from that of its sheet.
  void moveCorner(std::optional<double> left, std::optional<double> top, const std::string& merge_key);
  void lookForRoom(int onto, const QString& label);
  void follow();
  void followSession();
  void workOutUse();
  [[nodiscard]] PartCopy id_of(std::size_t laid) const;

  Session& session_;
  std::shared_ptr<const Derived> shown_;
  std::set<PartCopy> ids_;  // of what is chosen
  std::vector<std::size_t> chosen_;
  std::optional<std::size_t> hovered_;
  int sheet_ = 0;
  std::map<int, SheetUse> use_;
  std::shared_ptr<const Derived> use_of_;
  bool following_ = false;
  Vec nudged_;
  QElapsedTimer nudge_clock_;
  int nudge_count_ = 0;
};

}  // namespace dotlane
