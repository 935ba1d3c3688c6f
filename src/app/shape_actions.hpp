// Actions that shape: ready shapes, steps, combinations, trimming, groups, alignment, colours.
#pragma once

#include <QMenu>
#include <QObject>

#include "app/actions.hpp"
#include "app/notice.hpp"
#include "app/session.hpp"
#include "core/project/arrange.hpp"

namespace dotlane {

class ShapeActions : public QObject {
  Q_OBJECT
 public:
  ShapeActions(Session& session, Actions& actions, Notice& notice, QObject* parent);

  /// Which actions make sense for what is selected.
  void update();
  /// Removes what is selected; where recipes work with it, asks what becomes of them.
  void remove();

 signals:
  void stepAdded(int step);  ///< to the piece that is selected

 private:
  void addStepActions();
  void addShapeActions();
  void addArrangeActions();
  void keepFallOuts();
  void addStep(const std::string& kind);
  void combine(const std::string& kind, const QString& label);
  [[nodiscard]] std::vector<int> selected() const { return session_.selectedPieces(); }

  Session& session_;
  Actions& actions_;
  Notice& notice_;
};

/// A menu of the steps, under their headings.
void fill_step_menu(QMenu& menu, const Actions& actions);

}  // namespace dotlane
