// The figure as a whole: how big it may be for the sheets that there are.
#pragma once

#include <QObject>
#include <functional>

#include "app/actions.hpp"
#include "app/notice.hpp"
#include "app/session.hpp"
#include "core/layout/how_big.hpp"
#include "core/layout/near_stocks.hpp"
#include "core/layout/split/large_parts.hpp"
#include "render/guide.hpp"

namespace dotlane {

class FigureActions : public QObject {
  Q_OBJECT
 public:
  FigureActions(Session& session, Actions& actions, Notice& notice, QObject* parent);

 signals:
  /// The parts are to be packed onto their sheets.
  void packAsked();

 private:
  void ask();
  void divide();
  void tellDivided(const std::vector<DividedPart>& parts);
  void offerPacking(const QString& text);
  void answer(const std::shared_ptr<const Derived>& asked, const HowBig& big);
  void showSizes();
  void saveGuide();
  void savePoster();
  void savePrint();
  void saveJobSheet();
  /// Writes pages aside, and tells how many they were; `nothing` where there are none.
  using Write = std::function<Result<int>(const std::shared_ptr<const Derived>&, const std::string& path)>;
  void savePages(const QString& title, const QString& ending, const QString& nothing, const Write& write);
  void askNearStocks();
  void offerUniting(const std::shared_ptr<const Derived>& asked, const std::vector<NearStocks>& pairs);
  /// As it is, or with lower layers trimmed first; nothing where the project is another one by now.
  void sizeTo(const Project& asked, double scale, bool trimmed);

  Session& session_;
  Notice& notice_;
};

}  // namespace dotlane
