// Help where one is: the page for what has the keys, and the tour of the demo.
#pragma once

#include <QObject>
#include <functional>

#include "app/help/help_window.hpp"
#include "app/notice.hpp"

namespace dotlane {

class MainWindow;

/// What has the keys says by this property which page is about it; what is inside goes before what is around.
inline constexpr const char* kHelpPage = "helpPage";
void set_help(QWidget* widget, const char* page);

class HelpDesk : public QObject {
  Q_OBJECT
 public:
  HelpDesk(MainWindow& window, Actions& actions, Notice& notice);
  /// At the very first start: the demo as a tour.
  void offerTour();

 private:
  void open();
  void startTour();

  MainWindow& window_;
  Actions& actions_;
  Notice& notice_;
};

}  // namespace dotlane
