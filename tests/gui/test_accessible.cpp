// What a screen reader is told of every view, how far words stand out in it, and hands that use no mouse.
#include <qpa/qwindowsysteminterface_p.h>
#include <QAccessible>
#include <QAccessibleWidget>
#include <QCheckBox>
#include <QLabel>
#include <QPointingDevice>
#include <QStyleOptionButton>
#include <map>
#include <set>

#include "app/style.hpp"
#include "driving.hpp"
#include "every_view.hpp"
#include "render/theme.hpp"

namespace dotlane::test {
namespace {

std::string described(const QWidget& w) {
  return std::string(w.metaObject()->className()) + " " + w.objectName().toStdString();
}

/// What a screen reader asks of the widget is not what it shows.
std::set<std::string> untold(QWidget& window) {
  std::set<std::string> out;
  for (QWidget* w : window.findChildren<QWidget*>()) {
    if (!w->isVisible() || w->window() != &window || w->focusPolicy() == Qt::NoFocus || w->focusProxy()) continue;
    if (w->inherits("QScrollArea") || w->inherits("QScrollBar") || w->inherits("QStackedWidget")) continue;
    QAccessibleInterface* told = QAccessible::queryAccessibleInterface(w);
    const auto amiss = [&](const char* what) { out.insert(described(*w) + ": " + what); };
    if (!told || !told->isValid()) {
      amiss("not there");
      continue;
    }
    if (told->text(QAccessible::Name).trimmed().isEmpty()) amiss("no name");
    if (told->role() == QAccessible::NoRole) amiss("no role");
    const QAccessible::State state = told->state();
    if (!state.focusable) amiss("not focusable");
    if (bool(state.disabled) == w->isEnabled()) amiss("disabled or not");
    if (state.invisible) amiss("invisible");
    if (const auto* button = qobject_cast<QAbstractButton*>(w)) {
      if (button->isCheckable() && bool(state.checked) != button->isChecked()) amiss("checked or not");
    }
    if (const auto* view = qobject_cast<QAbstractItemView*>(w); view && view->model()) {
      for (int row = 0; row < std::min(view->model()->rowCount(), 12); ++row) {
        const QModelIndex at = view->model()->index(row, 0);
        if (at.data(Qt::AccessibleTextRole).toString().isEmpty() && at.data(Qt::DisplayRole).toString().isEmpty())
          amiss("a row without words");
      }
    }
  }
  return out;
}

/// How far the farthest colour of a picture stands out from its most frequent one.
double standing_out(const QImage& seen) {
  std::map<QRgb, int> colors;
  for (int y = 0; y < seen.height(); ++y) {
    for (int x = 0; x < seen.width(); ++x) ++colors[seen.pixel(x, y) | 0xff000000U];
  }
  const QRgb ground = std::max_element(colors.begin(), colors.end(), [](const auto& a, const auto& b) {
                        return a.second < b.second;
                      })->first;
  double most = 1;
  for (const auto& [color, pixels] : colors)
    most = std::max(most, contrast(to_color(QColor(color)), to_color(QColor(ground))));
  return most;
}

/// Words that stand out less than 4.5 to 1 from what is behind them (WCAG 2.2, success criterion 1.4.3), measured on
/// what is painted. What is disabled need not (ibid.), nor what is written large (3 to 1).
std::set<std::string> faint(QWidget& window) {
  std::set<std::string> out;
  for (QLabel* label : window.findChildren<QLabel*>()) {
    if (!label->isVisible() || !label->isEnabled() || label->window() != &window ||
        label->text().trimmed().size() < 2 || label->visibleRegion().boundingRect().size() != label->size())
      continue;
    const double most = standing_out(window.grab(QRect(label->mapTo(&window, QPoint()), label->size())).toImage());
    const double needed = label->font().pixelSize() >= 24 ? 3 : 4.5;
    // Thin strokes are painted softly: their darkest pixel is a little less than their colour.
    if (most < needed * 0.9)
      out.insert(described(*label) + " \"" + label->text().toStdString() + "\" " + std::to_string(most));
  }
  return out;
}

/// Marks that stand out less than 3 to 1 from what is around them (WCAG 2.2, success criterion 1.4.11), measured on
/// what is painted: buttons without words, and what is ticked or not. Colours that are themselves the matter, as those
/// of tools, need not.
std::set<std::string> faint_marks(QWidget& window) {
  std::set<std::string> out;
  for (auto* button : window.findChildren<QAbstractButton*>()) {
    if (!button->isVisible() || !button->isEnabled() || button->window() != &window ||
        button->visibleRegion().boundingRect().size() != button->size())
      continue;
    QRect mark = button->rect();
    if (const auto* box = qobject_cast<QCheckBox*>(button)) {
      QStyleOptionButton option;
      option.initFrom(box);
      mark = box->style()->subElementRect(QStyle::SE_CheckBoxIndicator, &option, box).adjusted(-3, -3, 3, 3) & mark;
    } else if (!button->text().trimmed().isEmpty()) {
      continue;
    }
    const QImage seen = window.grab(QRect(button->mapTo(&window, mark.topLeft()), mark.size())).toImage();
    const double most = standing_out(seen);
    if (most < 3) out.insert(described(*button) + " " + std::to_string(most));
  }
  return out;
}

/// Controls on which the keys are not seen to be: what changes when they come stands out less than 3 to 1 from what was
/// there (success criteria 2.4.7 and 1.4.11).
std::set<std::string> unseen_keys(QWidget& window) {
  std::set<std::string> out;
  QWidget* const before = window.focusWidget();
  for (QWidget* w : window.findChildren<QWidget*>()) {
    if (!w->isVisible() || !w->isEnabled() || w->window() != &window || !(w->focusPolicy() & Qt::TabFocus) ||
        w->visibleRegion().boundingRect().size() != w->size())
      continue;
    const auto seen = [&] {
      // What surrounds it may tell: a frame of several.
      const QRect around = QRect(w->mapTo(&window, QPoint()), w->size()).adjusted(-4, -4, 4, 4) & window.rect();
      return window.grab(around).toImage().convertToFormat(QImage::Format_RGB32);
    };
    window.setFocus(Qt::OtherFocusReason);
    if (window.focusWidget()) window.focusWidget()->clearFocus();
    const QImage without = seen();
    w->setFocus(Qt::TabFocusReason);
    if (!w->hasFocus() && !(w->focusProxy() && w->focusProxy()->hasFocus())) continue;
    const QImage with = seen();
    if (without.size() != with.size()) continue;
    double most = 1;
    for (int y = 0; y < with.height(); ++y) {
      for (int x = 0; x < with.width(); ++x) {
        if (with.pixel(x, y) != without.pixel(x, y))
          most = std::max(most, contrast(to_color(with.pixelColor(x, y)), to_color(without.pixelColor(x, y))));
      }
    }
    if (most < 3) out.insert(described(*w) + " " + std::to_string(most));
  }
  if (before) before->setFocus();
  return out;
}

/// Moves a pen over the widget, as the platform tells of a tablet.
void pen_drag(QWidget& on, QPoint from, QPoint to) {
  static const QPointingDevice pen(QStringLiteral("pen"), 7, QInputDevice::DeviceType::Stylus,
                                   QPointingDevice::PointerType::Pen, QInputDevice::Capability::Position, 1, 1);
  QWindowSystemInterfacePrivate::TabletEvent::setPlatformSynthesizesMouse(false);  // as under X11 and Wayland
  QWindow* window = on.window()->windowHandle();
  const auto tell = [&](QPoint at, Qt::MouseButtons held) {
    const QPointF here = on.mapTo(on.window(), at);
    QWindowSystemInterface::handleTabletEvent(window, &pen, here, window->mapToGlobal(here), held, held ? 0.5 : 0, 0, 0,
                                              0, 0, 0, Qt::NoModifier);
    QCoreApplication::processEvents();
  };
  tell(from, Qt::LeftButton);
  for (int i = 1; i <= 8; ++i) tell(from + (to - from) * i / 8, Qt::LeftButton);
  tell(to, Qt::NoButton);
}

/// Moves one finger over the widget, as a touch screen tells it.
void touch_drag(QWidget& on, QPoint from, QPoint to) {
  static QPointingDevice* screen = QTest::createTouchDevice();
  const auto at = [&](QPoint p) { return on.mapTo(on.window(), p); };
  QWindow* window = on.window()->windowHandle();
  QTest::touchEvent(window, screen).press(0, at(from), window);
  for (int i = 1; i <= 8; ++i) QTest::touchEvent(window, screen).move(0, at(from + (to - from) * i / 8), window);
  QTest::touchEvent(window, screen).release(0, at(to), window);
}

}  // namespace

TEST_CASE("every view tells a screen reader what is there, and in which state") {
  std::set<std::string> all;
  every_view(QStringLiteral("lighthouse-card"), [&](Opened&, QWidget& window, const char* view) {
    for (const auto& what : untold(window)) all.insert(std::string(view) + ": " + what);
  });
  for (const auto& what : all) UNSCOPED_INFO(what);
  CHECK(all.empty());
}

TEST_CASE("words stand out from what is behind them in every view") {
  for (const bool dark : {false, true}) {
    std::set<std::string> all;
    every_view(QStringLiteral("lighthouse-card"), [&](Opened&, QWidget& window, const char* view) {
      if (theme().dark != dark) {
        use_theme(dark);
        QTest::qWait(1);
      }
      for (const auto& what : faint(window)) all.insert(std::string(view) + ": " + what);
    });
    for (const auto& what : all) UNSCOPED_INFO((dark ? "dark, " : "light, ") << what);
    CHECK(all.empty());
  }
  use_theme(false);
}

TEST_CASE("marks stand out from what is around them in every view, and so does what has the keys") {
  for (const bool dark : {false, true}) {
    std::set<std::string> all;
    every_view(QStringLiteral("lighthouse-card"), [&](Opened&, QWidget& window, const char* view) {
      if (theme().dark != dark) {
        use_theme(dark);
        QTest::qWait(1);
      }
      for (const auto& what : faint_marks(window)) all.insert(std::string(view) + ": " + what);
      for (const auto& what : unseen_keys(window)) all.insert(std::string(view) + ": keys on " + what);
    });
    for (const auto& what : all) UNSCOPED_INFO((dark ? "dark, " : "light, ") << what);
    CHECK(all.empty());
  }
  use_theme(false);
}

TEST_CASE("what is chosen in painted views is told by their names") {
  Opened o;
  const auto name = [](QWidget& w) {
    return QAccessible::queryAccessibleInterface(&w)->text(QAccessible::Name).toStdString();
  };
  CHECK(name(o.bench()) == "Bench: nothing is chosen");
  o.pick({{o.piece("Lighthouse").id, ""}});
  CHECK(name(o.bench()) == "Bench: Lighthouse");
  QTest::keySequence(&o.window, QKeySequence::SelectAll);
  o.session().settle();
  CHECK(name(o.bench()).find("chosen") != std::string::npos);
  o.stage(Stage::passes);
  auto& lanes = *o.find("lanes");
  lanes.setFocus();
  QTest::keyClick(&lanes, Qt::Key_Down);
  CHECK(name(lanes).find("Lanes: pass 1 of ") == 0);
  QTest::keyClick(&lanes, Qt::Key_Down);
  CHECK(name(lanes).find("Lanes: pass 2 of ") == 0);
  o.stage(Stage::sheets);
  o.session().settle();
  auto& sheets = *o.find("sheetsView");
  o.pick(std::vector<LineRef>{});
  o.session().settle();
  CHECK(name(sheets) == "Sheets: no part is chosen");
  sheets.setFocus();
  QTest::keySequence(&o.window, QKeySequence::SelectAll);
  o.session().settle();
  CHECK(name(sheets).find("parts are chosen") != std::string::npos);
}

TEST_CASE("a finger and a pen drag a piece as a mouse does") {
  Opened o;
  const int id = o.piece("Lighthouse").id;
  o.pick({{id, ""}});
  const auto box = [&] { return find_drawn(o.session().drawing(), id)->bounds; };
  for (const auto drag_with : {touch_drag, pen_drag}) {
    const Box before = box();
    const QPoint from = o.bench().view().to_px(before.centre()).toPoint(), by(60, 30);
    drag_with(o.bench(), from, from + by);
    o.session().settle();
    CHECK(box().x0 > before.x0 + 1);
    CHECK(box().width() == Approx(before.width()).margin(1e-6));
    o.undo();
    CHECK(box().x0 == Approx(before.x0));
  }
}

}  // namespace dotlane::test
