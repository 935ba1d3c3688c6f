// Lettering in the real window: typing with a caret, undo in words, typefaces, letterforms, single letters, closing up.
#include <QClipboard>
#include <QComboBox>
#include <QDialogButtonBox>
#include <QInputMethodEvent>
#include <QLabel>
#include <QListWidget>
#include <QMenu>
#include <QPlainTextEdit>
#include <QSettings>

#include "app/lettering/face_chooser.hpp"
#include "app/lettering/letterform_picker.hpp"
#include "app/notice.hpp"
#include "app/widgets/number_field.hpp"
#include "core/format/files.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text/unicode.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

const Values& values(Opened& o) { return find_piece(o.project(), o.window.typing().piece())->source.values; }
std::string text(Opened& o) { return Reading(*find_kind(shape_kinds(), "lettering"), values(o)).text("text"); }
void keys(Opened& o, const char* typed) {
  QTest::keyClicks(&o.bench(), QString::fromLatin1(typed));
  o.session().settle();
}

/// A new project with lettering in it that is being typed in, all of it marked.
struct Typed : Opened {
  Typed() : Opened(QString()) {
    session().newProject();
    run("lettering-new");
    REQUIRE(window.typing().active());
  }
  template <class T>
  T* field(const char* key) {
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    for (auto* w : window.findChildren<T*>(QStringLiteral("value-") + QString::fromLatin1(key))) {
      if (w->isVisible()) return w;
    }
    FAIL("no field " << key);
    return nullptr;
  }
  template <class T>
  T* dialog(const char* name) {
    session().settle();
    T* found = nullptr;
    wait_for([&] { return (found = window.findChild<T*>(QString::fromLatin1(name))) && found->isVisible(); });
    return found;
  }
};

}  // namespace

TEST_CASE("new lettering is typed on the bench, and undo takes back a word at a time") {
  Typed o;
  keys(o, "Rope and reels");
  CHECK(text(o) == "Rope and reels");
  const DrawnPiece* drawn = find_drawn(o.session().drawing(), o.window.typing().piece());
  REQUIRE(drawn);
  CHECK(drawn->piece->lines.size() == 1);
  CHECK_FALSE(drawn->stale);
  // The piece grows with its words.
  const double wide = drawn->bounds.width();
  keys(o, " 5");
  CHECK(find_drawn(o.session().drawing(), o.window.typing().piece())->bounds.width() > wide);
  o.undo();
  CHECK(text(o) == "Rope and reels");
  o.undo();
  CHECK(text(o) == "Rope and");
  o.undo();
  CHECK(text(o) == "Rope");
  o.undo();
  CHECK(text(o) == "Lantern");
  o.redo();
  CHECK(text(o) == "Rope");
}

TEST_CASE("the caret goes where keys and the mouse send it, and marked letters are replaced") {
  Typed o;
  Typing& typing = o.window.typing();
  keys(o, "Mast");
  o.press(Qt::Key_Return);
  keys(o, "pole");
  CHECK(text(o) == "Mast\npole");
  CHECK(typing.caret() == 9);
  o.press(Qt::Key_Home);
  CHECK(typing.caret() == 5);
  o.press(Qt::Key_Up);
  CHECK(typing.caret() == 0);
  o.press(Qt::Key_End, Qt::ShiftModifier);
  CHECK(typing.marked() == std::pair<std::size_t, std::size_t>{0, 4});
  keys(o, "Flag");
  CHECK(text(o) == "Flag\npole");
  o.press(Qt::Key_Right, Qt::ControlModifier);
  o.press(Qt::Key_Delete);
  CHECK(text(o) == "Flag\nole");
  o.press(Qt::Key_Backspace);
  CHECK(text(o) == "Flagole");
  o.press(Qt::Key_Left, Qt::ControlModifier);
  CHECK(typing.caret() == 0);
  o.press(Qt::Key_Delete, Qt::ControlModifier);
  CHECK(text(o).empty());
  keys(o, "Boathook");
  // Pasting, cutting, everything marked.
  QGuiApplication::clipboard()->setText(QStringLiteral(" \u00fc\r\nx"));
  o.press(Qt::Key_V, Qt::ControlModifier);
  CHECK(text(o) == "Boathook \u00fc\nx");
  o.press(Qt::Key_A, Qt::ControlModifier);
  o.press(Qt::Key_X, Qt::ControlModifier);
  CHECK(text(o).empty());
  CHECK(QGuiApplication::clipboard()->text() == QStringLiteral("Boathook \u00fc\nx"));
  // An empty lettering is still there to be typed in; an input method composes into it.
  QInputMethodEvent composed;
  composed.setCommitString(QStringLiteral("\u00e9t\u00e9"));
  QCoreApplication::sendEvent(&o.bench(), &composed);
  o.session().settle();
  CHECK(text(o) == "\u00e9t\u00e9");
  // A click between two letters, a drag over them.
  keys(o, " Harbour");
  o.bench().zoomToSelection();
  const auto& lettering = typing.lettering();
  const Piece* piece = find_piece(o.project(), typing.piece());
  auto px = [&](std::size_t i) {
    const auto& c = lettering.carets[i];
    return o.bench().view().to_px(piece->placement(lerp(c.foot, c.head, 0.4))).toPoint();
  };
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, px(5));
  CHECK(typing.caret() == 5);
  QTest::mousePress(&o.bench(), Qt::LeftButton, Qt::NoModifier, px(4));
  QTest::mouseMove(&o.bench(), px(6));
  QTest::mouseMove(&o.bench(), px(8));
  QTest::mouseRelease(&o.bench(), Qt::LeftButton, Qt::NoModifier, px(8));
  CHECK(typing.marked() == std::pair<std::size_t, std::size_t>{4, 8});
  // Escape ends it; F2 and a double click begin it again.
  o.press(Qt::Key_Escape);
  CHECK_FALSE(typing.active());
  o.press(Qt::Key_F2);
  CHECK(typing.active());
  o.press(Qt::Key_Escape);
  QTest::mouseDClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, px(6));
  CHECK(typing.active());
  CHECK(typing.caret() == 6);
  // A click beside it ends typing and lets go of it.
  QTest::mouseClick(&o.bench(), Qt::LeftButton, Qt::NoModifier, QPoint(60, 60));
  CHECK_FALSE(typing.active());
}

TEST_CASE("while typing, letters are letters: shortcuts of other actions wait") {
  Typed o;
  keys(o, "ab");
  QKeyEvent plain(QEvent::ShortcutOverride, Qt::Key_Delete, Qt::NoModifier);
  plain.ignore();
  QCoreApplication::sendEvent(&o.bench(), &plain);
  CHECK(plain.isAccepted());
  QKeyEvent save(QEvent::ShortcutOverride, Qt::Key_S, Qt::ControlModifier, QStringLiteral("\x13"));
  save.ignore();
  QCoreApplication::sendEvent(&o.bench(), &save);
  CHECK_FALSE(save.isAccepted());
  const std::size_t pieces = o.project().pieces.size();
  o.press(Qt::Key_Delete);
  CHECK(o.project().pieces.size() == pieces);
  o.press(Qt::Key_Escape);
  QKeyEvent after(QEvent::ShortcutOverride, Qt::Key_Delete, Qt::NoModifier);
  after.ignore();
  QCoreApplication::sendEvent(&o.bench(), &after);
  CHECK_FALSE(after.isAccepted());
}

TEST_CASE("words typed in the recipe show on the bench, and the caret is one") {
  Typed o;
  o.press(Qt::Key_Escape);
  auto* words = o.field<QPlainTextEdit>("text");
  words->setFocus();
  words->selectAll();
  QTest::keyClicks(words, QStringLiteral("Lamp oil"));
  o.session().settle();
  CHECK(text(o) == "Lamp oil");
  CHECK(o.window.typing().caret() == 8);
  o.bench().setFocus();
  o.undo();
  CHECK(text(o) == "Lamp");
  CHECK(words->toPlainText() == QStringLiteral("Lamp"));
  // Values that mean nothing on a straight line are not shown.
  auto* way = o.field<QComboBox>("way");
  auto* radius = o.window.findChild<NumberField*>(QStringLiteral("value-radius"));
  REQUIRE(radius);
  CHECK_FALSE(radius->isVisible());
  choose(way, way->findData(QStringLiteral("outside")));
  o.session().settle();
  QCoreApplication::processEvents();
  CHECK(radius->isVisible());
}

TEST_CASE("a letter at the caret is nudged by keys and by numbers, and put back") {
  Typed o;
  keys(o, "Pier");
  o.press(Qt::Key_Left);
  o.press(Qt::Key_Left);
  CHECK(o.find<QLabel>("letterName")->text().contains(QStringLiteral("\u201ci\u201d")));
  o.press(Qt::Key_Up, Qt::AltModifier | Qt::ShiftModifier);
  o.press(Qt::Key_Right, Qt::AltModifier);
  REQUIRE(letter_moves(values(o)).size() == 1);
  CHECK(letter_moves(values(o)).front() == LetterMove{1, 0, 0.1, -1, 0, 100});
  auto* turned = o.find<NumberField>("letter-3");
  turned->editor()->setFocus();
  turned->editor()->selectAll();
  QTest::keyClicks(turned->editor(), QStringLiteral("12"));
  QTest::keyClick(turned->editor(), Qt::Key_Return);
  o.session().settle();
  CHECK(letter_moves(values(o)).front().turn == 12);
  // Typed before it, the move stays with its letter.
  o.bench().setFocus();
  o.window.typing().begin(o.window.typing().piece());
  o.press(Qt::Key_Home);
  o.press(Qt::Key_Left);
  keys(o, "A ");
  CHECK(letter_moves(values(o)).front().character == 3);
  for (int i = 0; i < 2; ++i) o.press(Qt::Key_Right);
  o.click("letterReset");
  CHECK(letter_moves(values(o)).empty());
}

TEST_CASE("typefaces are looked at on the bench, kept as favourites, chosen or given up") {
  QSettings().remove(QStringLiteral("lettering/favourites"));
  Typed o;
  keys(o, "Reel");
  const Box before = find_drawn(o.session().drawing(), o.window.typing().piece())->bounds;
  run(o, "lettering-face");
  auto* chooser = o.dialog<FaceChooser>("faceChooser");
  QListWidget* list = chooser->list();
  wait_for([&] { return list->count() > 11; });  // the system's have come
  auto row = [&](const char* name) {
    for (int i = 0; i < list->count(); ++i) {
      if (list->item(i)->data(Qt::UserRole).toString() == QString::fromLatin1(name)) return i;
    }
    FAIL("no row " << name);
    return -1;
  };
  auto shown = [&] {
    int n = 0;
    for (int i = 0; i < list->count(); ++i) n += !list->item(i)->isHidden();
    return n;
  };
  click(list, row("Bebas Neue Bold"));
  o.session().settle();
  CHECK(std::get<std::string>(values(o).at("font")) == "Bebas Neue Bold");
  CHECK_FALSE(find_drawn(o.session().drawing(), o.window.typing().piece())->bounds == before);
  CHECK(painted(chooser) > 0.02);
  // Searching, the star, only favourites, only single strokes.
  auto* search = chooser->findChild<QLineEdit*>(QStringLiteral("faceSearch"));
  type(search, QStringLiteral("slab"));
  CHECK(shown() >= 1);
  CHECK(shown() < list->count());
  type(search, QString());
  click(list, row("Roboto Slab Bold"));
  list->setFocus();
  QTest::keyClick(list, Qt::Key_F);
  auto* favourites = chooser->findChild<QPushButton*>(QStringLiteral("favouritesOnly"));
  click(favourites);
  CHECK(shown() == 1);
  click(favourites);
  click(chooser->findChild<QPushButton*>(QStringLiteral("strokesOnly")));
  CHECK(shown() >= 4);
  QTest::keyClick(chooser, Qt::Key_Escape);
  o.session().settle();
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  CHECK(find_drawn(o.session().drawing(), o.window.typing().piece())->bounds == before);
  o.click("value-font");
  chooser = o.dialog<FaceChooser>("faceChooser");
  list = chooser->list();
  click(list, row("Hershey Script"));
  click(chooser->findChild<QDialogButtonBox*>()->button(QDialogButtonBox::Ok));
  o.session().settle();
  CHECK(std::get<std::string>(values(o).at("font")) == "Hershey Script");
  const auto& lines = find_drawn(o.session().drawing(), o.window.typing().piece())->piece->lines;
  REQUIRE(lines.size() == 1);
  CHECK(lines[0].role == Role::draw);
  CHECK_FALSE(lines[0].tool.empty());
  CHECK(QSettings().value(QStringLiteral("lettering/favourites")).toStringList() ==
        QStringList{QStringLiteral("Roboto Slab Bold")});
}

TEST_CASE("letterforms are searched and put at the caret, features switched for all or for marked letters") {
  Typed o;
  keys(o, "Brass");
  o.put(*set_source_value(o.project(), o.window.typing().piece(), "font", std::string("EB Garamond 12 Italic")));
  o.pick("Lettering");
  o.run("lettering-type");
  o.press(Qt::Key_Home);
  o.press(Qt::Key_Right);
  run(o, "lettering-forms");
  auto* picker = o.dialog<LetterformPicker>("letterformPicker");
  QListWidget* list = picker->list();
  wait_for([&] { return list->count() > 100; });
  CHECK(painted(picker) > 0.02);
  auto* group = picker->findChild<QComboBox*>(QStringLiteral("formGroup"));
  CHECK(group->itemText(0).contains(QStringLiteral("\u201cB\u201d")));
  CHECK(group->findData(QStringLiteral("Swashes")) > 0);
  CHECK(group->findData(QStringLiteral("Ligatures")) > 0);
  auto use = [&](const char* name) {
    for (int i = 0; i < list->count(); ++i) {
      if (list->item(i)->text() == QString::fromLatin1(name)) {
        click(list, i);
        o.session().settle();
        return;
      }
    }
    FAIL("no form " << name);
  };
  choose(group, 0);
  CHECK(list->count() >= 3);
  CHECK(list->count() < 20);
  // Another form of the letter at the caret takes its place.
  use("B.sw");
  CHECK(std::get<std::string>(values(o).at("letterforms")) == "0=B.sw");
  CHECK(text(o) == "Brass");
  click(picker->findChild<QPushButton*>(QStringLiteral("ownForm")));
  o.session().settle();
  CHECK(std::get<std::string>(values(o).at("letterforms")).empty());
  // Found by its character, put in at the caret.
  type(picker->findChild<QLineEdit*>(QStringLiteral("formSearch")), QStringLiteral("&"));
  use("ampersand");
  CHECK(text(o) == "B&rass");
  picker->close();
  // Features: for the whole, and for what is marked.
  auto menu_item = [&](const QString& name) {
    o.click_entry(o.field<QPushButton>("features"), [&](const QAction* a) { return a->text() == name; });
  };
  menu_item(feature_name("swsh"));
  o.session().settle();
  CHECK(std::get<std::string>(values(o).at("features")) == "swsh");
  menu_item(feature_name("swsh"));
  menu_item(feature_name("liga"));
  o.session().settle();
  CHECK(std::get<std::string>(values(o).at("features")) == "-liga");
  o.press(Qt::Key_Home);
  o.press(Qt::Key_Right, Qt::ShiftModifier);
  menu_item(feature_name("swsh"));
  o.session().settle();
  CHECK(std::get<std::string>(values(o).at("features")) == "-liga, swsh[0:1]");
}

TEST_CASE("closing up mends loose lettering by one action, and Second look says the same") {
  Typed o;
  keys(o, "harbour");
  const int id = o.window.typing().piece();
  o.put(*set_source_value(o.project(), id, "tracking", 2.0));
  o.pick({{id, ""}});
  auto apart = [&] {
    return std::count_if(o.session().derived().findings.begin(), o.session().derived().findings.end(),
                         [](const Finding& f) { return f.code == "letters-apart"; });
  };
  CHECK(apart() >= 3);
  run(o, "lettering-close-up");
  CHECK(apart() == 0);
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("holds together")));
  run(o, "lettering-close-up");
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("already")));
  // Nothing helps a dot beside a hanging quote, and it says which.
  o.put(*set_source_value(o.project(), id, "text", std::string(".'")));
  o.put(*set_source_value(o.project(), id, "font", std::string("Bebas Neue Bold")));
  o.pick({{id, ""}});
  run(o, "lettering-close-up");
  CHECK(o.window.findChild<Notice*>()->message().contains(QStringLiteral("no shift")));
}

TEST_CASE("the sign of the demo is lettering that stays to be typed in, also after saving") {
  const QString sign = demo(QStringLiteral("stall-sign"));
  QTemporaryDir folder;
  const QString path = folder.filePath(QStringLiteral("sign.dotlane"));
  {
    Opened o(sign);
    CHECK(worst(o.session().derived().findings).value_or(Severity::info) == Severity::info);
    const Box backing = o.bounds("Sign backing");
    o.pick({{o.piece("Sign words").id, ""}});
    o.window.typing().begin(o.piece("Sign words").id);
    keys(o, "Harbour Lanterns");
    // The backing follows the words.
    CHECK(o.bounds("Sign backing").width() > backing.width() + 50);
    bool saved = false;
    o.session().save(path, [&](bool ok) { saved = ok; });
    o.session().settle();
    CHECK(saved);
  }
  Opened again(path);
  CHECK(again.project().pieces.size() == 8);
  again.pick("Sign words");
  CHECK(utf8_of(again.window.typing().lettering().text) == "Harbour Lanterns");
  // A typeface that is not on the machine is told, and nothing is lost by opening.
  again.put(*set_source_value(again.project(), again.piece("Pier").id, "font", std::string("Nowhere Script")));
  again.session().settle();
  const auto& findings = again.session().derived().findings;
  CHECK(std::any_of(findings.begin(), findings.end(), [](const Finding& f) {
    return f.code == "recipe-trouble" && sentence(f).find("Nowhere Script") != std::string::npos;
  }));
  CHECK(std::get<std::string>(again.piece("Pier").source.values.at("font")) == "Nowhere Script");
}

}  // namespace dotlane::test
