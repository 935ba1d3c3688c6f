// Driving the real window: finding widgets by name, clicking, waiting.
#pragma once

#include <QApplication>
#include <QComboBox>
#include <QDropEvent>
#include <QElapsedTimer>
#include <QListWidget>
#include <QMenu>
#include <QMimeData>
#include <QPushButton>
#include <QTemporaryDir>
#include <QTreeView>
#include <QtTest/QTest>
#include <catch2/catch.hpp>
#include <functional>

#include "app/dialogs.hpp"
#include "app/ledger/ledger_model.hpp"
#include "app/main_window.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "core/format/files.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "waiting.hpp"
#include "words/sentences.hpp"

namespace dotlane::test {

/// Answers every question with what the test put in.
struct Answers : Dialogs {
  QStringList open;
  QString save, folder;
  Answer answer = Answer::discard;
  int asked = 0;
  Answers() { use_dialogs(this); }
  ~Answers() override { use_dialogs(nullptr); }
  QStringList openFiles(QWidget*, const QString&, const QString&) override { return open; }
  QString openFolder(QWidget*, const QString&) override { return folder; }
  QString saveFile(QWidget*, const QString&, const QString&, const QString&) override { return save; }
  Answer askToSave(QWidget*, const QString&) override { return ++asked, answer; }
};

/// A demo of this process's own: others run tests beside it, and what is kept aside lies next to the file.
inline QString demo(const QString& name = QStringLiteral("lighthouse-card")) {
  static const QTemporaryDir own;
  const QString file = name + QStringLiteral(".dotlane");
  const QString path = own.filePath(file);
  if (!QFile::exists(path)) REQUIRE(QFile::copy(QStringLiteral(DOTLANE_DEMO "/") + file, path));
  return path;
}

/// Presses the mouse at a place of the widget, moves it there in steps and lets go, as a hand does.
inline void drag(QWidget* on, QPoint from, QPoint to, Qt::KeyboardModifiers keys = Qt::NoModifier,
                 Qt::MouseButton button = Qt::LeftButton, int steps = 8) {
  QTest::mousePress(on, button, keys, from);
  for (int i = 1; i <= steps; ++i) {
    // QTest::mouseMove knows no modifiers.
    const QPoint at = from + (to - from) * i / steps;
    QMouseEvent move(QEvent::MouseMove, at, on->mapToGlobal(at), Qt::NoButton, button, keys);
    QApplication::sendEvent(on, &move);
    QCoreApplication::processEvents();
  }
  QTest::mouseRelease(on, button, keys, to);
}

/// Drops it in the middle of a widget, as from another program.
inline void drop(QWidget* on, const QMimeData& what) {
  const QPoint at = on->rect().center();
  QDragEnterEvent enter(at, Qt::CopyAction, &what, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(on, &enter);
  CHECK(enter.isAccepted());
  QDropEvent drop(at, Qt::CopyAction, &what, Qt::LeftButton, Qt::NoModifier);
  QApplication::sendEvent(on, &drop);
}

/// Types into a field and ends with Return.
inline void type(NumberField* field, const char* text) {
  field->editor()->setFocus();
  field->editor()->selectAll();
  QTest::keyClicks(field->editor(), QString::fromLatin1(text));
  QTest::keyClick(field->editor(), Qt::Key_Return);
}

/// Types into a line of text that is on screen, in the place of what is there.
inline void type(QLineEdit* line, const QString& text) {
  REQUIRE(line);
  REQUIRE(line->isVisible());
  line->setFocus();
  line->selectAll();
  QTest::keyClick(line, Qt::Key_Delete);
  QTest::keyClicks(line, text);
}

/// Clicks a button that is on screen; a box that is ticked is hit on its mark.
inline void click(QAbstractButton* button) {
  REQUIRE(button);
  REQUIRE(button->isVisible());
  REQUIRE(button->isEnabled());
  QTest::mouseClick(button, Qt::LeftButton, {}, QPoint(8, button->height() / 2));
}

/// Clicks a row of a list.
inline void click(QListWidget* list, int row) {
  REQUIRE(list->item(row));
  list->scrollToItem(list->item(row));
  QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualItemRect(list->item(row)).center());
}

/// Clicks a tile.
inline void click(QListView& list, int row, Qt::KeyboardModifiers keys = Qt::NoModifier) {
  const QModelIndex at = list.model()->index(row, 0);
  REQUIRE(at.isValid());
  list.scrollTo(at);
  QTest::mouseClick(list.viewport(), Qt::LeftButton, keys, list.visualRect(at).center());
}

/// Clicks an entry of the menu that a button shows.
inline void click_entry(QMenu* menu, QWidget* button, const std::function<bool(const QAction*)>& which) {
  REQUIRE(menu);
  menu->popup(button->mapToGlobal(QPoint(0, button->height())));
  QAction* entry = nullptr;
  for (QAction* a : menu->actions()) {
    if (which(a)) entry = a;
  }
  REQUIRE(entry);
  REQUIRE(entry->isEnabled());
  QTest::mouseClick(menu, Qt::LeftButton, Qt::NoModifier, menu->actionGeometry(entry).center());
}

/// Goes to an entry of a box by the arrow keys.
inline void choose(QComboBox* box, int row) {
  REQUIRE(row >= 0);
  REQUIRE(row < box->count());
  REQUIRE(box->isEnabled());
  const int from = box->currentIndex();
  const Qt::Key key = row > from ? Qt::Key_Down : Qt::Key_Up;
  for (int i = 0; i < std::abs(row - from) && box->currentIndex() != row; ++i) QTest::keyClick(box, key);
  CHECK(box->currentIndex() == row);
}
inline void choose(QComboBox* box, const QString& data) { choose(box, box->findData(data)); }

/// A window with a project open, as a user sees it.
struct Opened {
  QTemporaryDir folder;  ///< for files of this test
  Answers answers;
  MainWindow window;
  explicit Opened(const QString& path = demo()) : Opened(std::unique_ptr<CutterLink>(), path) {}
  /// With another cutter at the end of the wire; nothing for the usual one.
  Opened(std::unique_ptr<CutterLink> cutter, const QString& path) : window(std::move(cutter)) {
    window.resize(1280, 800);
    window.show();
    window.activateWindow();
    if (!path.isEmpty()) window.take({path});
    window.session().settle();
    QTest::qWait(1);
  }
  explicit Opened(const Project& project) : Opened(QString()) { put(project); }
  ~Opened() {  // leaves nothing to the next test
    if (!keeps_work) session().settle(), session().dropAutosave();
  }
  bool keeps_work = false;  ///< as a program that ends without asking
  /// Opens the project by way of a file.
  void put(const Project& project, const QString& name = QStringLiteral("test.dotlane")) {
    const QString path = folder.filePath(name);
    REQUIRE(save_project(project, path.toStdString()));
    window.take({path});
    session().settle();
    REQUIRE(session().path() == path);
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
  /// Clicks the button of the notice that begins with this.
  void answer(const QString& begins) {
    auto* notice = find<QWidget>("notice");
    REQUIRE(notice->isVisible());
    for (auto* b : notice->findChildren<QPushButton*>()) {
      if (!b->isVisible() || !b->text().startsWith(begins)) continue;
      QTest::mouseClick(b, Qt::LeftButton);
      session().settle();
      return;
    }
    FAIL("no answer " << begins.toStdString());
  }
  /// Goes to a stage by its button in the bar along the top.
  void stage(Stage stage) { click(qPrintable(QStringLiteral("stage%1").arg(static_cast<int>(stage)))); }
  /// What lies in the middle of the window: the bench, all sheets, or the figure that is put together.
  QWidget* table() {
    if (window.stage() == Stage::make) return &window.make().figure();
    return window.stage() == Stage::sheets ? static_cast<QWidget*>(&window.sheets()) : &window.bench();
  }
  void press(Qt::Key key, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::keyClick(table(), key, keys);
    session().settle();
  }
  /// Presses the shortcut of an action; it must be there to be used.
  void run(const char* action, bool settle = true) {
    QAction* a = window.actions().find(QString::fromLatin1(action));
    INFO("action " << action);
    REQUIRE(a);
    REQUIRE(a->isEnabled());
    REQUIRE_FALSE(a->shortcut().isEmpty());
    bool done = false;
    const auto heard = QObject::connect(a, &QAction::triggered, a, [&done] { done = true; });
    if (a->shortcutContext() != Qt::WindowShortcut && a->shortcutContext() != Qt::ApplicationShortcut)
      table()->setFocus();
    if (!window.isActiveWindow()) {  // as a window manager does, after a dialog or when another window is clicked
      window.activateWindow();
      (void)QTest::qWaitForWindowActive(&window, 1000);
    }
    QWidget* on = window.focusWidget() && window.focusWidget()->isVisible() ? window.focusWidget() : table();
    QTest::keySequence(on, a->shortcut());
    QObject::disconnect(heard);
    INFO("keys to " << on->metaObject()->className() << " " << on->objectName().toStdString());
    CHECK(done);
    if (settle) session().settle();
  }
  void undo() { run("undo"); }
  void redo() { run("redo"); }
  /// Clicks pieces and lines in the ledger, all but the first with Ctrl; an empty list picks nothing.
  void pick(const std::vector<LineRef>& refs) {
    session().settle();
    if (refs.empty()) return press(Qt::Key_Escape);
    if (const Stage now = window.stage(); now == Stage::sheets || now == Stage::make) {  // pieces are listed elsewhere
      stage(Stage::draft);
      pick(refs);
      return stage(now);
    }
    auto* tree = find<QTreeView>("ledger");
    const auto* model = static_cast<const LedgerModel*>(tree->model());
    auto find_row = [&](const auto& self, const QModelIndex& under, const LineRef& ref) -> QModelIndex {
      for (int i = 0; i < model->rowCount(under); ++i) {
        const QModelIndex row = model->index(i, 0, under);
        const int kind = row.data(LedgerModel::KindRole).toInt();
        if (kind == LedgerModel::group_row) continue;
        if (kind != LedgerModel::stock_row) {
          const LineRef here = model->refsAt(row).front();
          if (here == ref) return row;
          if (here.piece != ref.piece) continue;
        }
        if (const QModelIndex inside = self(self, row, ref); inside.isValid()) return inside;
      }
      return {};
    };
    Qt::KeyboardModifiers keys = Qt::NoModifier;
    for (const auto& ref : refs) {
      const QModelIndex row = find_row(find_row, {}, ref);
      INFO("piece " << ref.piece << " line " << ref.line);
      REQUIRE(row.isValid());
      if (!ref.line.empty()) tree->expand(row.parent());
      tree->scrollTo(row);
      QTest::mouseClick(tree->viewport(), Qt::LeftButton, keys, tree->visualRect(row).center());
      keys = Qt::ControlModifier;
    }
    session().settle();
  }
  void pick(const std::string& name) { pick({LineRef{piece(name).id, ""}}); }
  /// Clicks an entry of the menu that a button shows.
  void click_entry(QPushButton* button, const std::function<bool(const QAction*)>& which) {
    test::click_entry(button->menu(), button, which);
    window.activateWindow();
    session().settle();
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  }
  QPoint at(double x, double y) { return bench().view().to_px(Vec{x, y}).toPoint(); }
  Box bounds(const std::string& name) { return bounds(piece(name).id); }
  Box bounds(int id) { return tight_bounds(*find_drawn(session().drawing(), id)); }
  const Piece& piece(const std::string& name) {
    for (const auto& p : project().pieces) {
      if (p->name == name) return *p;
    }
    FAIL("no piece " << name);
    return *project().pieces.front();
  }
};

/// The share of a widget's picture, as it is on screen, that is not of its most frequent colour.
inline double painted(QWidget* widget) {
  const QImage image = widget->grab().toImage().convertToFormat(QImage::Format_RGB32);
  std::map<QRgb, int> counts;
  for (int y = 0; y < image.height(); ++y) {
    for (int x = 0; x < image.width(); ++x) ++counts[image.pixel(x, y)];
  }
  int most = 0;
  for (const auto& [color, n] : counts) most = std::max(most, n);
  const int all = image.width() * image.height();
  return all > 0 ? 1.0 - static_cast<double>(most) / all : 0;
}

/// A number field by the name that screen readers say.
inline NumberField* named(Opened& o, const char* accessible) {
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  for (auto* f : o.window.findChildren<NumberField*>()) {
    if (f->editor()->accessibleName() == QString::fromLatin1(accessible)) return f;
  }
  FAIL("no field " << accessible);
  return nullptr;
}

inline void run(Opened& o, const char* action) { o.run(action); }

}  // namespace dotlane::test
