// Driving the real window: finding widgets by name, clicking, waiting.
#pragma once

#include <QApplication>
#include <QElapsedTimer>
#include <QPushButton>
#include <QTemporaryDir>
#include <QtTest/QTest>
#include <catch2/catch.hpp>
#include <functional>

#include "app/dialogs.hpp"
#include "app/main_window.hpp"
#include "app/units.hpp"
#include "core/project/edit.hpp"

namespace dotlane::test {

/// Answers every question with what the test put in.
struct Answers : Dialogs {
  QStringList open;
  QString save;
  Answer answer = Answer::discard;
  int asked = 0;
  Answers() { use_dialogs(this); }
  ~Answers() override { use_dialogs(nullptr); }
  QStringList openFiles(QWidget*, const QString&, const QString&) override { return open; }
  QString saveFile(QWidget*, const QString&, const QString&, const QString&) override { return save; }
  Answer askToSave(QWidget*, const QString&) override { return ++asked, answer; }
};

inline void wait_for(const std::function<bool()>& done, int ms = 30'000) {
  QElapsedTimer clock;
  clock.start();
  while (!done()) {
    if (clock.elapsed() > ms) FAIL("waited too long");
    QCoreApplication::processEvents(QEventLoop::AllEvents, 10);
  }
}

inline QString demo() { return QStringLiteral(DOTLANE_DEMO "/lighthouse-card.dotlane"); }

/// A window with a project open, as a user sees it.
struct Opened {
  Answers answers;
  MainWindow window;
  explicit Opened(const QString& path = demo()) {
    window.resize(1280, 800);
    window.show();
    window.activateWindow();
    if (!path.isEmpty()) window.take({path});
    window.session().settle();
    QTest::qWait(1);
  }
  Session& session() { return window.session(); }
  const Project& project() { return window.session().project(); }
  Bench& bench() { return window.bench(); }

  template <class T = QWidget>
  T* find(const char* name) {
    // Widgets that were replaced go only when the event loop returns; here they go now.
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    auto* w = window.findChild<T*>(QString::fromLatin1(name));
    INFO("widget " << name);
    REQUIRE(w);
    return w;
  }
  /// Clicks the button as a person would: it must be there to be clicked.
  void click(const char* name) {
    session().settle();
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    QAbstractButton* visible = nullptr;
    for (auto* b : window.findChildren<QAbstractButton*>(QString::fromLatin1(name))) {
      if (b->isVisible()) visible = b;
    }
    INFO("button " << name);
    REQUIRE(visible);
    REQUIRE(visible->isEnabled());
    QTest::mouseClick(visible, Qt::LeftButton);
    session().settle();
  }
  void press(Qt::Key key, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::keyClick(&bench(), key, keys);
    session().settle();
  }
  QPoint at(double x, double y) { return bench().view().to_px(Vec{x, y}).toPoint(); }
  Box bounds(const std::string& name) { return bounds_on_mat(*find_drawn(session().drawing(), piece(name).id)); }
  const Piece& piece(const std::string& name) {
    for (const auto& p : project().pieces) {
      if (p->name == name) return *p;
    }
    FAIL("no piece " << name);
    return *project().pieces.front();
  }
};

/// Triggers the action as its shortcut would; it must be there to be triggered.
inline void run(Opened& o, const char* action) {
  QAction* a = o.window.actions().find(QString::fromLatin1(action));
  INFO("action " << action);
  REQUIRE(a);
  REQUIRE(a->isEnabled());
  a->trigger();
  o.session().settle();
}

}  // namespace dotlane::test
