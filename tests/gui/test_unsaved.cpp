// Unsaved work: what is kept aside goes only once it stands elsewhere, whatever is opened, saved or ended meanwhile.
#include <QProcess>

#include "app/autosave.hpp"
#include "app/notice.hpp"
#include "core/format/project_json.hpp"
#include "driving.hpp"

namespace dotlane::test {
namespace {

struct Folder {
  QTemporaryDir dir;
  QString card() const { return dir.filePath(QStringLiteral("card.dotlane")); }
  Folder() { REQUIRE(QFile::copy(demo(), card())); }
  QString kept() const { return Autosave::base(card()); }
  void write(const QString& path, const std::string& bytes) {
    QFile file(path);
    REQUIRE(file.open(QIODevice::WriteOnly));
    file.write(bytes.data(), static_cast<qint64>(bytes.size()));
  }
};

/// The demo with another name, as work that an ended program left.
Project work(const char* name) {
  Project p = *load_project(demo().toStdString());
  p.name = name;
  return p;
}

bool notice_says(Opened& o, const QString& part) {
  auto* notice = o.find<Notice>("notice");
  return notice->isVisible() && notice->message().contains(part);
}

void nudge(Opened& o) {
  o.pick("Cliff");
  o.press(Qt::Key_Right);
}

void wait_autosaved(Opened& o) {
  wait_for([&] { return o.session().autosaved(); });
  o.session().settle();
}

}  // namespace

TEST_CASE("a damaged autosave is not taken up, and is not thrown away") {
  Folder f;
  f.write(f.kept(), "{\"format\": \"dot-lane project\", \"version\": 1, \"pieces\": [");
  Opened o(f.card());
  REQUIRE(notice_says(o, QStringLiteral("Unsaved work")));
  const Project before = o.project();
  o.answer(QStringLiteral("Take it up"));
  CHECK(o.project() == before);
  CHECK(notice_says(o, QStringLiteral("kept as")));
  CHECK(QFile::exists(f.kept()));
}

TEST_CASE("what is taken up is kept aside anew before the old file goes") {
  Folder f;
  f.write(f.kept(), to_json(work("Kept work")));
  Opened o(f.card());
  o.answer(QStringLiteral("Take it up"));
  CHECK(o.project().name == "Kept work");
  wait_autosaved(o);
  CHECK_FALSE(QFile::exists(f.kept()));
  REQUIRE(QFile::exists(o.session().autosavePath()));
  CHECK(load_project(o.session().autosavePath().toStdString())->name == "Kept work");
  o.run("save");
  CHECK(load_project(f.card().toStdString())->name == "Kept work");
  CHECK(o.session().autosavePath().isEmpty());
  CHECK(f.dir.isValid());
  CHECK(QDir(f.dir.path()).entryList(QDir::Files | QDir::Hidden) == QStringList{QStringLiteral("card.dotlane")});
}

TEST_CASE("unsaved work on a project that cannot be read is offered, and not on the next project") {
  Folder f;
  f.write(f.kept(), to_json(work("All that is left")));
  f.write(f.card(), "not a project");
  Opened o(f.card());
  REQUIRE(notice_says(o, QStringLiteral("cannot be read, but unsaved work")));
  o.answer(QStringLiteral("Decide later"));
  o.window.take({demo()});
  o.session().settle();
  CHECK_FALSE(notice_says(o, QStringLiteral("nsaved work")));
  CHECK(QFile::exists(f.kept()));
  o.window.take({f.card()});
  o.session().settle();
  o.answer(QStringLiteral("Take it up"));
  CHECK(o.project().name == "All that is left");
  CHECK(o.session().path() == f.card());
}

TEST_CASE("opening a file leaves unsaved work on a project without a file alone") {
  const QString untitled = Autosave::base({});
  for (const QString& left : Autosave::left(untitled)) Autosave::remove(left);
  QDir().mkpath(QFileInfo(untitled).path());
  Folder f;
  f.write(untitled, to_json(work("Never saved")));
  {
    Opened o(f.card());
    o.keeps_work = true;
    nudge(o);
    wait_autosaved(o);
  }
  REQUIRE(QFile::exists(untitled));
  // Another untitled project keeps its own work elsewhere.
  Opened o{QString()};
  o.run("shape-star");
  wait_autosaved(o);
  CHECK(o.session().autosavePath() != untitled);
  CHECK(load_project(untitled.toStdString())->name == "Never saved");
  o.window.offerRecovery();
  REQUIRE(notice_says(o, QStringLiteral("Unsaved work")));
  o.answer(QStringLiteral("Throw it away"));
  CHECK_FALSE(QFile::exists(untitled));
}

TEST_CASE("edits made while a save is under way stay kept aside") {
  Folder f;
  Opened o(f.card());
  nudge(o);
  wait_autosaved(o);
  o.run("save", false);
  o.bench().setFocus();
  QTest::keyClick(&o.bench(), Qt::Key_Right);  // before the save comes back
  const Project now = o.project();
  o.session().settle();
  CHECK(o.session().modified());
  wait_autosaved(o);
  REQUIRE(QFile::exists(o.session().autosavePath()));
  CHECK(*load_project(o.session().autosavePath().toStdString()) == now);
}

TEST_CASE("saves follow one another: the last one asked for is what the file holds") {
  Folder f;
  Opened o(f.card());
  o.pick("Cliff");
  for (int i = 0; i < 8; ++i) {
    QTest::keyClick(&o.bench(), Qt::Key_Right);
    o.run("save", false);
    o.bench().setFocus();
  }
  o.session().settle();
  CHECK(*load_project(f.card().toStdString()) == o.project());
  CHECK_FALSE(o.session().modified());
}

TEST_CASE("what is done while another project is being read is not thrown away unasked") {
  Folder f;
  Opened o{QString()};
  o.answers.answer = Dialogs::Answer::cancel;
  o.window.take({f.card()});
  o.run("shape-heart", false);  // the file has not come yet
  o.session().settle();
  CHECK(o.answers.asked == 1);
  REQUIRE(o.project().pieces.size() == 1);
  CHECK(o.project().pieces.front()->source.kind == "heart");
}

TEST_CASE("two windows on one project: the second save asks, and each keeps its own work aside") {
  Folder f;
  Opened a(f.card()), b(f.card());
  nudge(a);
  wait_autosaved(a);
  nudge(b);
  b.press(Qt::Key_Down);
  wait_autosaved(b);
  CHECK(a.session().autosavePath() != b.session().autosavePath());
  a.run("save");
  const Project saved = a.project();
  CHECK(QFile::exists(b.session().autosavePath()));
  b.run("save");
  CHECK(*load_project(f.card().toStdString()) == saved);
  REQUIRE(notice_says(b, QStringLiteral("changed by another")));
  b.answer(QStringLiteral("Write over it"));
  CHECK(*load_project(f.card().toStdString()) == b.project());
  CHECK_FALSE(b.session().modified());
  // And the other way round, under another name.
  a.press(Qt::Key_Up);
  a.run("save");
  const QString other = f.dir.filePath(QStringLiteral("other.dotlane"));
  b.answers.save = other;  // whichever window asks
  a.answer(QStringLiteral("Save under"));
  CHECK(*load_project(other.toStdString()) == a.project());
  CHECK(*load_project(f.card().toStdString()) == b.project());
}

TEST_CASE("work that fails aside is told, and the window goes on") {
  Opened o;
  const Project before = o.project();
  o.session().aside([]() -> std::function<void()> { throw std::runtime_error("the tide was out"); });
  o.session().settle();
  CHECK(notice_says(o, QStringLiteral("the tide was out")));
  o.session().edit(
      [](const Project&, Effort effort) -> std::optional<Project> {
        if (effort == Effort::at_once) return std::nullopt;
        throw std::bad_alloc();
      },
      QStringLiteral("Never"));
  o.session().settle();
  CHECK(notice_says(o, QStringLiteral("memory")));
  CHECK(o.project() == before);
  nudge(o);
  CHECK_FALSE(o.project() == before);
}

}  // namespace dotlane::test
