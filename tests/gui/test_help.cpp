// Help in place: the page for what has the keys, its search, the reasons of findings, the tour of the demo.
#include <QRegularExpression>
#include <QSettings>

#include "app/help/help_desk.hpp"
#include "app/help/tour.hpp"
#include "driving.hpp"
#include "locale/language.hpp"

namespace dotlane::test {
namespace {

HelpWindow* help_of(Opened& o) {
  HelpWindow* help = nullptr;
  wait_for([&] { return (help = o.window.findChild<HelpWindow*>()) != nullptr; }, 2000);
  REQUIRE(help);
  return help;
}

QString page_of(HelpWindow& help) {
  return help.findChild<QListWidget*>(QStringLiteral("helpList"))->currentItem()->data(Qt::UserRole).toString();
}

}  // namespace

TEST_CASE("F1 opens the page for what has the keys, and words find pages") {
  Opened o;
  const auto ask = [&](QWidget* on) {
    o.window.activateWindow();
    (void)QTest::qWaitForWindowActive(&o.window, 1000);
    on->setFocus();
    QTest::keyClick(on, Qt::Key_F1);
    HelpWindow* help = help_of(o);
    const QString page = page_of(*help);
    help->close();
    QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
    return page;
  };
  CHECK(ask(&o.bench()) == "draft");
  CHECK(ask(o.find("ledger")) == "draft");
  o.pick({LineRef{o.project().pieces.front()->id, ""}});
  CHECK(ask(o.find<QWidget>("addStep")) == "recipe");
  o.stage(Stage::passes);
  CHECK(ask(o.find("lanes")) == "passes");
  o.stage(Stage::run);
  CHECK(ask(o.find("startRun")) == "run");
  o.stage(Stage::draft);

  o.window.activateWindow();
  (void)QTest::qWaitForWindowActive(&o.window, 1000);
  o.bench().setFocus();
  QTest::keyClick(&o.bench(), Qt::Key_F1);
  HelpWindow* help = help_of(o);
  auto* list = help->findChild<QListWidget*>(QStringLiteral("helpList"));
  auto* search = help->findChild<QLineEdit*>(QStringLiteral("helpSearch"));
  auto* text = help->findChild<QTextBrowser*>(QStringLiteral("helpText"));
  const auto shown = [&] {
    int n = 0;
    for (int i = 0; i < list->count(); ++i) n += !list->item(i)->isHidden();
    return n;
  };
  CHECK(shown() == list->count());
  type(search, QStringLiteral("bleed beyond every"));
  CHECK(shown() >= 1);
  CHECK(shown() < list->count());
  CHECK(text->toPlainText().contains(QStringLiteral("2 mm of bleed")));
  CHECK(text->textCursor().selectedText().toLower() == "bleed");
  type(search, QStringLiteral("nowhere-to-be-found"));
  CHECK(shown() == 0);
  CHECK(text->toPlainText() == "No page has these words.");
}

TEST_CASE("dialogs have help too, and those that wait for an answer let it be used") {
  Opened o(demo(QStringLiteral("stall-sign")));
  const auto ask_in = [](QDialog& dialog) {
    wait_for([&] { return dialog.isVisible(); });
    wait_for([&] { return dialog.activateWindow(), QApplication::activeWindow() == &dialog; });
    QWidget* on = dialog.focusWidget() ? dialog.focusWidget() : &dialog;
    on->setFocus();
    QTest::keyClick(on, Qt::Key_F1);
  };
  o.run("preferences");
  auto* preferences = o.find<QDialog>("preferencesWindow");
  ask_in(*preferences);
  HelpWindow* help = help_of(o);
  CHECK(page_of(*help) == "projects");
  help->close();
  preferences->close();
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);

  o.pick("Sign words");
  o.run("lettering-face", false);
  auto* chooser = o.find<QDialog>("faceChooser");
  REQUIRE(chooser->isModal());
  ask_in(*chooser);
  help = help_of(o);
  CHECK(page_of(*help) == "lettering");
  auto* list = help->findChild<QListWidget*>(QStringLiteral("helpList"));
  QTest::mouseClick(list->viewport(), Qt::LeftButton, {}, list->visualItemRect(list->item(0)).center());
  CHECK(page_of(*help) == "start");
  QTest::keyClick(help, Qt::Key_Escape);
  CHECK(chooser->isVisible());
}

TEST_CASE("every place for a figure in the help is filled, in each language, and no figure stands there by itself") {
  Opened o;
  for (const char* language : {"en", "de"}) {
    use_language(QString::fromLatin1(language));
    const auto pages = help_pages(o.window.actions());
    CHECK(pages.size() >= 13);
    for (const auto& page : pages) {
      INFO(language << " " << page.id.toStdString());
      CHECK_FALSE(page.title.isEmpty());
      CHECK(page.text.size() > 200);
      CHECK_FALSE(page.text.contains(QStringLiteral("{{")));
      if (page.id == QLatin1String("keys")) continue;
      // Before it is filled: no digit but in numbered lists and in what is typed, between backticks.
      QFile file(QStringLiteral(DOTLANE_DEMO "/../help/%1/%2.md").arg(QString::fromLatin1(language), page.id));
      REQUIRE(file.open(QIODevice::ReadOnly));
      QString text = QString::fromUtf8(file.readAll());
      text.remove(QRegularExpression(QStringLiteral("\\{\\{[^}]*\\}\\}|`[^`]*`|^[0-9]\\. "),
                                     QRegularExpression::MultilineOption));
      CHECK_FALSE(text.contains(QRegularExpression(QStringLiteral("[0-9]"))));
    }
  }
  use_language(QStringLiteral("C"));
}

TEST_CASE("a finding says why it speaks") {
  Opened o;
  o.run("second-look");
  REQUIRE_FALSE(o.session().findings().empty());
  const std::string code = o.session().findings().front().code;
  o.click(qPrintable(QStringLiteral("why-") + qs(code)));
  const auto reason = why(code);
  REQUIRE(reason);
  bool there = false;
  for (auto* label : o.find("secondLook")->findChildren<QLabel*>())
    there = there || (label->isVisible() && label->text().contains(reason->because));
  CHECK(there);
}

TEST_CASE("at the first start the demo is offered as a tour of five steps that point at what is there") {
  Opened o(QString{});
  QSettings().remove(QStringLiteral("tour/offered"));
  o.window.help().offerTour();
  o.answer(QStringLiteral("Show me"));
  wait_for([&] { return o.window.findChild<Tour*>() != nullptr; }, 3000);
  auto* tour = o.window.findChild<Tour*>();
  REQUIRE(tour);
  CHECK(o.project().name == "Lighthouse card");
  CHECK(o.session().path().isEmpty());  // the demo itself stays as it is
  std::set<QString> texts;
  for (int step = 0; step < 5; ++step) {
    REQUIRE(tour->isVisible());
    CHECK(o.window.rect().contains(tour->geometry()));
    texts.insert(tour->findChild<QLabel*>(QStringLiteral("tourText"))->text());
    auto* next = tour->findChild<QPushButton*>(QStringLiteral("tourNext"));
    REQUIRE(QApplication::focusWidget() == next);
    QTest::keyClick(next, Qt::Key_Space);
    o.session().settle();
  }
  CHECK(texts.size() == 5);
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  CHECK_FALSE(o.window.findChild<Tour*>());
  CHECK(o.window.stage() == Stage::run);
  // It comes once.
  o.window.help().offerTour();
  CHECK_FALSE(o.find<QWidget>("notice")->isVisible());
  // Again when asked for; Esc leaves it.
  o.run("tour");
  wait_for([&] { return o.window.findChild<Tour*>() != nullptr; }, 3000);
  QTest::keyClick(QApplication::focusWidget(), Qt::Key_Escape);
  QCoreApplication::sendPostedEvents(nullptr, QEvent::DeferredDelete);
  CHECK_FALSE(o.window.findChild<Tour*>());
}

}  // namespace dotlane::test
