// What the views of the Make stage share: the guide, the step in hand, the part looked for, and what is in its place.
#pragma once

#include <QObject>
#include <QPainterPath>
#include <map>
#include <optional>

#include "app/session.hpp"
#include "render/guide.hpp"

namespace dotlane {

class MakeDesk : public QObject {
  Q_OBJECT
 public:
  MakeDesk(Session& session, QObject* parent);

  /// All that follows from one state of the project, worked out aside. Indices are those of its layout.
  struct Made {
    std::shared_ptr<const Derived> derived;
    AssemblyGuide guide;
    std::vector<QPainterPath> bodies;  ///< by part, mm in the figure
    std::vector<Vec> numbers;          ///< where the numbers of parts read best, mm in the figure
    explicit Made(std::shared_ptr<const Derived> of);
  };
  /// Null until the stage was shown for the first time.
  [[nodiscard]] const std::shared_ptr<const Made>& made() const { return made_; }
  /// While the stage is on screen it follows the project.
  void setOn(bool on);

  [[nodiscard]] const std::vector<AssemblyStep>& steps() const;
  /// The step in hand; npos where there is none.
  [[nodiscard]] std::size_t step() const { return step_; }
  /// The copy looked for, as an index in the layout's `laid`, and the one pointed at.
  [[nodiscard]] std::optional<std::size_t> wanted() const { return wanted_; }
  [[nodiscard]] std::optional<std::size_t> hovered() const { return hovered_; }
  void lookFor(std::size_t laid);
  void hover(std::optional<std::size_t> laid);
  void goTo(std::size_t step);
  /// To the copy after or before the one looked for, over the ends of steps.
  void move(int by);

  enum class Show { together, exploded, face_down };
  [[nodiscard]] Show show() const { return show_; }
  void setShow(Show show);
  void setTopFirst(bool on);
  /// The page for the figure as it is wished to be shown; and for the sheet of the part looked for, nothing while it
  /// waits for a sheet.
  [[nodiscard]] AssemblyGuide::Page figurePage() const;
  [[nodiscard]] std::optional<AssemblyGuide::Page> sheetPage() const;

  /// Copies of the step's parts, by part, then by copy; and how many of them are in place.
  [[nodiscard]] std::vector<std::size_t> copiesOf(std::size_t step) const;
  [[nodiscard]] std::size_t inPlaceOf(std::size_t step) const;
  [[nodiscard]] bool isInPlace(std::size_t laid) const;
  /// Says that they are in their place, or not after all; after the last the next one missing is looked for.
  void setInPlace(const std::vector<std::size_t>& laid, bool on);
  void toggleInPlace();
  [[nodiscard]] QString nameOf(std::size_t laid) const;

 signals:
  void changed();

 private:
  using Id = std::pair<PartKey, int>;  // of a copy, across edits
  void follow();
  void take(std::shared_ptr<const Made> made);
  /// The first copy from the step in hand on that is not in place, then from the start; else the first of the step.
  [[nodiscard]] std::optional<std::size_t> firstMissing() const;
  [[nodiscard]] std::vector<std::size_t> allCopies() const;
  [[nodiscard]] Id idOf(std::size_t laid) const;

  Session& session_;
  std::shared_ptr<const Made> made_;
  std::shared_ptr<const Derived> working_on_;
  bool on_ = false;
  std::size_t step_ = npos;
  int piece_ = 0;  // of the step in hand
  std::optional<std::size_t> wanted_, hovered_;
  std::optional<Id> id_;     // of the one looked for
  std::map<Id, bool> said_;  // what was said of copies and has not come back yet
  Show show_ = Show::together;
};

}  // namespace dotlane
