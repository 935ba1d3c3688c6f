// The window and files: bringing in, opening, saving, closing with unsaved work, exporting, what is taken from
// elsewhere.
#include <QCloseEvent>
#include <QFile>
#include <QFileInfo>
#include <QLocale>
#include <QMenu>
#include <QSettings>

#include "app/dialogs.hpp"
#include "app/main_window.hpp"
#include "app/panels/recipe_panel.hpp"
#include "app/projects/project_desk.hpp"
#include "app/recent_projects.hpp"
#include "app/sheets/photograph_view.hpp"
#include "app/units.hpp"
#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/layout/shelf.hpp"
#include "core/project/edit.hpp"
#include "render/job_export.hpp"
#include "render/picture_file.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr const char* kGcodeProfile = "gcode/profile";

QString project_filter() { return QObject::tr("Dot Lane projects (*.dotlane)"); }

QString drawing_filter() {
  QStringList endings;
  for (const auto& ending : artwork_endings()) endings.append(QLatin1Char('*') + qs(ending));
  return QObject::tr("Drawings and pictures (%1)")
      .arg(endings.join(QLatin1Char(' ')) + QStringLiteral(" *.png *.jpg *.jpeg *.bmp"));
}

QString export_filter() {
  QStringList out;
  for (const auto& format : export_formats()) {
    QStringList endings;
    for (const auto& ending : format.endings) endings.append(QLatin1Char('*') + qs(ending));
    out.append(worded(format.label) + QStringLiteral(" (%1)").arg(endings.join(QLatin1Char(' '))));
  }
  return out.join(QStringLiteral(";;"));
}

}  // namespace

void MainWindow::addFileActions() {
  actions_.add("new", tr("New project"), QKeySequence::New, [this] { afterSaving([this] { session_.newProject(); }); });
  actions_.add("open", tr("Open a project…"), QKeySequence::Open, [this] {
    afterSaving([this] {
      const auto files = dialogs().openFiles(this, tr("Open a project"), project_filter());
      if (!files.isEmpty()) openHere(files.front());
    });
  });
  actions_.add("bring-in", tr("Bring in a drawing or a picture…"), Qt::CTRL | Qt::Key_I, [this] {
    const auto files = dialogs().openFiles(this, tr("Bring in a drawing or a picture"), drawing_filter());
    if (!files.isEmpty()) session_.bringIn(files);
  });
  actions_.add("save", tr("Save"), QKeySequence::Save, [this] { save(false); });
  actions_.add("save-as", tr("Save under another name…"), Qt::CTRL | Qt::SHIFT | Qt::Key_S, [this] { save(true); });
  actions_.add("export", tr("Export the job: SVG, DXF, HPGL, G-code, PDF or PNG…"), Qt::CTRL | Qt::Key_E, [this] {
    const QString base = session_.path().isEmpty() ? qs(session_.project().name)
                                                   : QFileInfo(session_.path()).path() + QLatin1Char('/') +
                                                         QFileInfo(session_.path()).completeBaseName();
    const QString path = dialogs().saveFile(this, tr("Export the job"), base + QStringLiteral(".svg"), export_filter());
    if (!path.isEmpty()) exportTo(path);
  });
  actions_.add("gcode-profile", tr("Choose how G-code lifts its tool: a profile…"), Qt::ALT | Qt::SHIFT | Qt::Key_F,
               [this] { chooseGcodeProfile(); });
  actions_.add("close", tr("Close the window"), QKeySequence::Close, [this] { close(); });
}

void MainWindow::take(const QStringList& files) {
  QStringList drawings;
  for (const QString& file : files) {
    if (file.endsWith(QStringLiteral(".dotlane"), Qt::CaseInsensitive)) {
      const QString whole = QFileInfo(file).absoluteFilePath();
      afterSaving([this, whole] {
        session_.open(
            whole, [this](const std::function<void()>& go) { afterSaving(go); },
            [this, whole](bool read) { offerRecovery(whole, read); });
      });
    } else {
      drawings.append(file);
    }
  }
  if (!drawings.isEmpty()) session_.bringIn(drawings);
}

void MainWindow::offerRecovery(const QString& path, bool read) {
  const QStringList left = Autosave::left(Autosave::base(path));
  if (left.isEmpty()) return;
  const QString file = left.front();
  const QString when = QLocale().toString(QFileInfo(file).lastModified(), QLocale::ShortFormat);
  notice_->ask(
      read ? tr("Unsaved work from %1 was found.").arg(when)
           : tr("%1 cannot be read, but unsaved work on it from %2 was found.").arg(QFileInfo(path).fileName(), when),
      {{tr("Take it up"), [this, file, path] { afterSaving([this, file, path] { session_.recover(file, path); }); }},
       {tr("Throw it away"),
        [this, file, path, read] {
          Autosave::remove(file);
          offerRecovery(path, read);
        }},
       {tr("Decide later"), {}}});
}

void MainWindow::offerBrokenRun() {
  session_.aside([this] {
    tidy_runs();
    auto runs = std::make_shared<std::vector<BrokenRun>>(broken_runs());
    return [this, runs] {
      if (runs->empty() || run_->active() || notice_->isVisible()) return;  // whatever is asked now comes first
      const BrokenRun run = runs->front();
      notice_->ask(
          tr("A run of %1 was broken off on %2. If the mat is still where it was, with what lies on it, it can go "
             "on at the exact stroke.")
              .arg(qs(run.state.head.project), QLocale().toString(run.when, QLocale::ShortFormat)),
          {{tr("Take it up"), [this, run] { takeUpRun(run); }},
           {tr("Let it be"),
            [this, run] {
              let_run_be(run.folder);
              offerBrokenRun();
            }},
           {tr("Decide later"), {}}});
    };
  });
}

void MainWindow::takeUpRun(const BrokenRun& run) {
  afterSaving([this, run] {
    const QString kept = run.folder + QStringLiteral("/project.dotlane"), file = qs(run.state.head.file);
    const auto go = [this, run](bool read) {
      if (!read) return;
      setStage(Stage::run);
      run_->clear();
      run_->takeUp(run.folder);
    };
    const auto then = read_file(kept.toStdString()), now = read_file(file.toStdString());
    if (then && now && *then == *now) {
      session_.open(
          file, [this](const std::function<void()>& open) { afterSaving(open); }, go);
      return;
    }
    // The project has gone on since, or was never saved: the run has its own copy, which stays where it is.
    const QString copy = run.folder + QStringLiteral("/taken-up.dotlane");
    QFile::remove(copy);
    go(QFile::copy(kept, copy) && session_.recover(copy, {}));
  });
}

void MainWindow::save(bool as, std::function<void(bool)> then) {
  QString path = session_.path();
  if (as || path.isEmpty()) {
    path = dialogs().saveFile(this, tr("Save the project"),
                              path.isEmpty() ? qs(session_.project().name) + QStringLiteral(".dotlane") : path,
                              project_filter());
    if (path.isEmpty()) {
      if (then) then(false);
      return;
    }
    if (!path.endsWith(QStringLiteral(".dotlane"), Qt::CaseInsensitive)) path += QStringLiteral(".dotlane");
  }
  saveTo(path, false, std::move(then));
}

void MainWindow::saveTo(const QString& path, bool over, std::function<void(bool)> then) {
  session_.save(
      path,
      [this, path, then = std::move(then)](bool ok) {
        if (ok) remember(path);
        if (then) then(ok);
      },
      over);
}

void MainWindow::afterSaving(const std::function<void()>& then) {
  if (session_.editing()) {
    session_.whenEdited([this, then] { afterSaving(then); });
    return;
  }
  if (!session_.modified()) return then();
  switch (dialogs().askToSave(this, qs(session_.project().name))) {
    case Dialogs::Answer::save:
      save(false, [then](bool ok) {
        if (ok) then();
      });
      break;
    case Dialogs::Answer::discard:
      then();
      break;
    case Dialogs::Answer::cancel:
      break;
  }
}

void MainWindow::closeEvent(QCloseEvent* event) {
  if (closing_ || (!session_.modified() && !session_.editing())) {
    session_.dropAutosave();
    run_->cancel();
    event->accept();
    return;
  }
  event->ignore();
  afterSaving([this] {
    closing_ = true;
    QMetaObject::invokeMethod(
        this, [this] { close(); }, Qt::QueuedConnection);
  });
}

void MainWindow::exportTo(const QString& path) {
  session_.whenDerived([this, path] {
    session_.aside([this, path, project = session_.project(), derived = session_.derivedHandle()] {
      ExportOptions options;
      const std::string profile = QSettings().value(QLatin1String(kGcodeProfile)).toString().toStdString();
      if (auto read = profile.empty() ? Result<GcodeProfile>{} : gcode_profile_from(profile)) options.gcode = *read;
      const auto done = export_job(project, *derived, path.toStdString(), options);
      const QString line = done ? QString() : qs(line_of(done.error()));
      return [this, path, line] {
        notice_->say(line.isEmpty() ? tr("Exported %1").arg(QFileInfo(path).fileName()) : line, !line.isEmpty());
      };
    });
  });
}

void MainWindow::chooseGcodeProfile() {
  const auto files = dialogs().openFiles(this, tr("How G-code lifts its tool"), tr("Profiles (*.json)"));
  if (files.isEmpty()) return;
  const auto text = read_file(files.front().toStdString());
  auto profile = text ? gcode_profile_from(*text) : tl::unexpected<Error>(text.error());
  if (!profile) {
    if (profile.error().place.empty()) profile.error().place = files.front().toStdString();
    return notice_->say(qs(line_of(profile.error())), true);
  }
  // The profile itself is kept, not where it came from.
  QSettings().setValue(QLatin1String(kGcodeProfile), qs(*text));
  notice_->say(tr("G-code follows the profile %1 from now on.")
                   .arg(profile->name.empty() ? QFileInfo(files.front()).fileName() : qs(profile->name)),
               false);
}

void MainWindow::openAgain(const QString& text, const QString& name) {
  afterSaving([this, text, name] {
    session_.aside([this, text, name] {
      auto project = std::make_shared<Result<Project>>(project_from_json(text.toStdString(), name.toStdString()));
      return [this, project] {
        if (!*project) return notice_->say(qs(line_of(project->error())), true);
        session_.openMade(std::move(**project));
        setStage(Stage::run);
      };
    });
  });
}

void MainWindow::remember(const QString& path) {
  remember_project(path);
  note_project(path);
  fillProjectMenu();
}

void MainWindow::fillProjectMenu() {
  QMenu* menu = top_->menu();
  menu->clear();
  for (const char* id : {"new", "new-window", "open", "projects", "bring-in", "save", "save-as", "export", "save-guide",
                         "calibrate", "exercises", "preferences", "help"})
    menu->addAction(actions_.find(QString::fromLatin1(id)));
  const QStringList recent = recent_projects();
  menu->addSeparator();
  QAction* heading = menu->addAction(recent.isEmpty() ? tr("No recent projects") : tr("Recent projects"));
  heading->setEnabled(false);
  for (const QString& path : recent) {
    QAction* open = menu->addAction(name_among(recent, path).replace(u'&', QStringLiteral("&&")));
    open->setToolTip(path);
    connect(open, &QAction::triggered, this, [this, path] { openHere(path); });
  }
  menu->addSeparator();
  addWindows(*menu);
  menu->addAction(actions_.find(QStringLiteral("close")));
}

// --- from elsewhere --------------------------------------------------------------------------------------------------

void MainWindow::takeOtherShelf() {
  const auto files = dialogs().openFiles(this, tr("Take the shelf of another project"), project_filter());
  if (files.isEmpty()) return;
  session_.aside([this, path = files.front()]() -> std::function<void()> {
    auto other = std::make_shared<Result<Project>>(load_project(path.toStdString()));
    return [this, other] {
      if (!*other) return notice_->say(qs(line_of(other->error())), true);
      Project next = take_shelf(session_.project(), **other);
      const auto more = next.shelf.size() - session_.project().shelf.size();
      session_.commit(std::move(next), tr("Take another's shelf"));
      notice_->say(
          tr("%1 came from the shelf of %2.").arg(counted(more, tr("thing"), tr("things")), qs((*other)->name)), false);
    };
  });
}

void MainWindow::takePhotograph(const QString& stock) {
  const auto files =
      dialogs().openFiles(this, tr("A photograph of the mat"), tr("Pictures (*.png *.jpg *.jpeg *.bmp)"));
  if (files.isEmpty()) return;
  session_.aside([this, path = files.front(), stock]() -> std::function<void()> {
    auto picture = std::make_shared<Result<PictureFile>>(read_picture(path.toStdString()));
    return [this, picture, stock] {
      if (!*picture) return notice_->say(qs(line_of(picture->error())), true);
      photograph_->begin(std::move((*picture)->picture), stock.toStdString());
      tables_->setCurrentWidget(photograph_);
      photograph_->setFocus();
    };
  });
}

void MainWindow::askForPages(const QString& file, int page, int pages) {
  constexpr int kMostOffered = 4;
  std::vector<Notice::Choice> choices;
  for (int next = page + 1; next <= pages && next <= page + kMostOffered; ++next)
    choices.push_back({tr("page %1").arg(next), [this, file, next] { session_.bringIn({file}, next); }});
  if (choices.empty()) return;
  choices.push_back({tr("that is all"), {}});
  notice_->ask(tr("Page %1 of %2 of %3 is here. Another one?").arg(page).arg(pages).arg(QFileInfo(file).fileName()),
               std::move(choices));
}

void MainWindow::tellBroughtIn(int id) {
  const Piece* piece = find_piece(session_.project(), id);
  if (!piece) return;
  for (const auto& note : piece->source.notes) {
    if (note.code != "size-assumed") continue;
    const DrawnPiece* drawn = find_drawn(session_.drawing(), id);
    const Box box = drawn ? tight_bounds(*drawn) : Box{};
    std::vector<Notice::Choice> choices;
    for (const double per_inch : likely_per_inch(note)) {
      const double s = piece->source.per_inch / per_inch;
      const Box scaled{0, 0, box.width() * s, box.height() * s};
      const QString unit = QString::fromUtf8(unit_of(per_inch).data());
      choices.push_back(
          {(note.form == "units" ? tr("units are %1: %2 %3").arg(unit) : tr("%1 per inch: %2 %3").arg(per_inch))
               .arg(size_text(scaled, session_.project().unit), unit_word(session_.project().unit)),
           [this, id, per_inch] {
             session_.editDrawn(
                 [id, per_inch](const Project& p, const Drawing&) {
                   const Project settled = settle_size(p, id, per_inch);
                   DrawingCache cache;
                   return bring_onto_mat(settled, evaluate(settled, cache), {id});
                 },
                 tr("Settle the size"));
           }});
    }
    notice_->ask(tr("%1 states no physical size. Which is right?").arg(qs(piece->source.file)), std::move(choices));
    return;
  }
  if (piece->source.kind == "picture") {
    recipe_->openStep(0);
    notice_->say(tr("%1 is traced. Threshold, crop and smoothing are in the recipe.").arg(qs(piece->name)), false);
    return;
  }
  if (!piece->source.notes.empty()) {
    notice_->say(qs(sentence(piece->source.notes.front(), session_.project().unit)),
                 piece->source.notes.front().severity != Severity::info);
  } else {
    notice_->say(tr("%1: the roles of its lines were guessed. Confirm them in the recipe or in Second look.")
                     .arg(qs(piece->name)),
                 false);
  }
}

}  // namespace dotlane
