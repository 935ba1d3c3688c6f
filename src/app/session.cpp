#include "app/session.hpp"

#include <QCoreApplication>
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QStandardPaths>
#include <set>
#include <utility>

#include "app/units.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/format/svg_reader.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/picture_file.hpp"

namespace dotlane {
namespace {

constexpr int kAutosaveMs = 800;

Project fresh_project() { return new_project(QCoreApplication::translate("Session", "Untitled").toStdString()); }

}  // namespace

Session::Session(QObject* parent) : QObject(parent), history_(fresh_project()), saved_(history_.now()) {
  pool_.setMaxThreadCount(2);
  autosave_timer_.setSingleShot(true);
  autosave_timer_.setInterval(kAutosaveMs);
  connect(&autosave_timer_, &QTimer::timeout, this, &Session::autosaveAside);
}

Session::~Session() {
  pool_.clear();
  pool_.waitForDone();
}

void Session::aside(std::function<std::function<void()>()> work, int priority) {
  ++working_;
  pool_.start(
      [this, work = std::move(work)] {
        auto finish = work();
        // The destructor waits for the pool, so `this` is alive here; the queued call is dropped with the session.
        QMetaObject::invokeMethod(
            this,
            [this, finish = std::move(finish)] {
              --working_;
              finish();
            },
            Qt::QueuedConnection);
      },
      priority);
}

void Session::touch() {
  dropAside(std::exchange(drawing_, evaluate(project(), *cache_, Effort::at_once)));
  dropLostSelection();
  autosaved_ = false;
  autosave_timer_.start();
  emit changed();
  emit selectionChanged();
  emit fileChanged();
  deriveAside();
}

void Session::dropLostSelection() {
  std::erase_if(selection_, [this](const LineRef& ref) {
    const DrawnPiece* drawn = find_drawn(drawing_, ref.piece);
    if (!drawn) return true;
    if (ref.line.empty() || drawn->stale) return false;
    const auto& lines = drawn->piece->lines;
    return std::none_of(lines.begin(), lines.end(), [&](const Line& line) { return line.id == ref.line; });
  });
}

bool Session::stale() const {
  return std::any_of(drawing_.pieces.begin(), drawing_.pieces.end(), [](const auto& p) { return p->stale; });
}

void Session::commit(Project next, const QString& label, const std::string& merge_key) {
  if (history_.commit(std::move(next), label.toStdString(), merge_key)) touch();
}

QString Session::undoLabel() const { return canUndo() ? qs(history_.undo_label()) : QString(); }
QString Session::redoLabel() const { return canRedo() ? qs(history_.redo_label()) : QString(); }

void Session::undo() {
  if (!canUndo()) return;
  history_.undo();
  touch();
}

void Session::redo() {
  if (!canRedo()) return;
  history_.redo();
  touch();
}

void Session::select(std::vector<LineRef> lines) {
  if (lines == selection_) return;
  selection_ = std::move(lines);
  emit selectionChanged();
}

std::vector<int> Session::selectedPieces() const {
  std::set<int> ids;
  for (const auto& ref : selection_) ids.insert(ref.piece);
  return {ids.begin(), ids.end()};
}

std::vector<LineRef> Session::selectedLines() const {
  std::vector<LineRef> out;
  for (const auto& ref : selection_) {
    if (!ref.line.empty()) {
      out.push_back(ref);
      continue;
    }
    const auto all = lines_of_piece(drawing_, ref.piece);
    out.insert(out.end(), all.begin(), all.end());
  }
  return out;
}

void Session::deriveAside() {
  if (deriving_) {
    derive_again_ = true;
    return;
  }
  deriving_ = true;
  if (stale()) {
    // What was left for later comes first, and is shown before plan and findings follow.
    aside(
        [this, project = project(), cache = cache_] {
          auto drawing = std::make_shared<Drawing>(evaluate(project, *cache));
          return [this, drawing, project] {
            deriving_ = derive_again_ = false;
            if (project == this->project()) {
              dropAside(std::exchange(drawing_, *drawing));
              dropLostSelection();
              emit changed();
              emit selectionChanged();
            }
            deriveAside();
          };
        },
        1);
    return;
  }
  aside(
      [this, project = project(), cache = cache_] {
        auto derived = std::make_shared<const Derived>(derive(project, *cache));
        return [this, derived] {
          deriving_ = false;
          if (derive_again_) {
            derive_again_ = false;
            deriveAside();
          }
          dropAside(std::exchange(derived_, derived));
          emit derivedChanged();
        };
      },
      1);
}

void Session::whenDerived(std::function<void()> then) {
  if (!deriving_) return then();
  connect(
      this, &Session::derivedChanged, this, [this, then = std::move(then)] { whenDerived(then); },
      Qt::SingleShotConnection);
}

void Session::replace(Project project, const QString& path, bool saved) {
  removeAutosave();
  if (saved) {
    saved_ = project;
  } else {
    saved_.reset();
  }
  history_ = History(std::move(project));
  path_ = path;
  selection_.clear();
  derived_ = std::make_shared<const Derived>();
  touch();
  if (saved) {
    autosave_timer_.stop();
    autosaved_ = true;
  }
  emit opened();
}

void Session::newProject() { replace(fresh_project(), {}, true); }

void Session::open(const QString& path) {
  const int epoch = reading_epoch_;
  ++reading_;
  emit readingChanged(tr("Opening %1").arg(QFileInfo(path).fileName()));
  aside([this, path, epoch, cache = cache_] {
    auto read = std::make_shared<Result<Project>>(load_project(path.toStdString()));
    if (*read) (void)evaluate(**read, *cache);
    return [this, read, path, epoch] {
      --reading_;
      emit readingChanged({});
      if (epoch != reading_epoch_) return;
      if (*read) {
        replace(std::move(**read), QFileInfo(path).absoluteFilePath(), true);
      } else {
        emit said(qs(read->error().line()), true);
      }
    };
  });
}

void Session::recover(const QString& autosave, const QString& path) {
  auto read = load_project(autosave.toStdString());
  if (!read) {
    emit said(qs(read.error().line()), true);
    return;
  }
  // Keep the autosave until there is another one or a save.
  path_ = path;
  history_ = History(std::move(*read));
  saved_.reset();
  selection_.clear();
  touch();
  emit opened();
}

void Session::bringIn(const QStringList& files) {
  for (const QString& file : files) {
    const int epoch = reading_epoch_;
    ++reading_;
    emit readingChanged(tr("Reading %1").arg(QFileInfo(file).fileName()));
    aside([this, file, epoch, cache = cache_, before = project()]() -> std::function<void()> {
      const std::string name = file.toStdString();
      if (is_picture(name)) return tracePicture(name, before, epoch);
      auto art = std::make_shared<Result<Artwork>>(tl::unexpected<Error>(Error{}));
      auto bytes = read_file(name, SvgOptions{}.max_bytes);
      *art = bytes ? read_svg(*bytes, name) : tl::unexpected<Error>(bytes.error());
      auto next = std::make_shared<Project>();
      int id = 0;
      if (*art) {
        *next = add_artwork(before, **art, name, &id);
        (void)evaluate(*next, *cache);
      }
      return [this, art, next, before, id, file, epoch]() mutable {
        --reading_;
        emit readingChanged({});
        if (epoch != reading_epoch_) return;
        if (!*art) {
          emit said(qs(art->error().line()), true);
          return;
        }
        if (!(before == project())) *next = add_artwork(project(), **art, file.toStdString(), &id);
        commit(std::move(*next), tr("Bring in %1").arg(QFileInfo(file).fileName()));
        select({{id, ""}});
        emit broughtIn(id);
      };
    });
  }
}

std::function<void()> Session::tracePicture(const std::string& name, const Project& before, int epoch) {
  auto picture = std::make_shared<Result<Picture>>(read_picture(name));
  auto next = std::make_shared<Project>();
  auto id = std::make_shared<int>(0);
  if (*picture) {
    *next = add_picture(before, **picture, name, {}, id.get());
    (void)evaluate(*next, *cache_);
  }
  return [this, picture, next, id, name, before, epoch] {
    --reading_;
    emit readingChanged({});
    if (epoch != reading_epoch_) return;
    if (!*picture) {
      emit said(qs(picture->error().line()), true);
      return;
    }
    if (!(before == project())) *next = add_picture(project(), **picture, name, {}, id.get());
    commit(std::move(*next), tr("Trace %1").arg(QFileInfo(qs(name)).fileName()));
    select({{*id, ""}});
    emit broughtIn(*id);
  };
}

void Session::cancelReading() {
  ++reading_epoch_;
  emit readingChanged({});
}

void Session::save(const QString& path, std::function<void(bool)> then) {
  Project now = project();
  if (path_.isEmpty() && now.name == fresh_project().name) now.name = QFileInfo(path).completeBaseName().toStdString();
  if (!(now == project())) commit(now, tr("Name the project"));
  aside([this, now = project(), path, then = std::move(then)] {
    auto done = std::make_shared<Result<void>>(save_project(now, path.toStdString()));
    return [this, done, now, path, then] {
      if (*done) {
        removeAutosave();
        path_ = QFileInfo(path).absoluteFilePath();
        saved_ = now;
        autosaved_ = !modified();
        if (autosaved_) autosave_timer_.stop();
        emit fileChanged();
        emit said(tr("Saved %1").arg(QFileInfo(path).fileName()), false);
      } else {
        emit said(qs(done->error().line()), true);
      }
      if (then) then(done->has_value());
    };
  });
}

QString Session::autosavePath() const {
  if (!path_.isEmpty()) return qs(autosave_path(path_.toStdString()));
  return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) +
         QStringLiteral("/untitled.dotlane.autosave");
}

void Session::removeAutosave() { QFile::remove(autosavePath()); }

void Session::autosaveAside() {
  if (!modified()) {
    autosaved_ = true;
    removeAutosave();
    return;
  }
  const QString path = autosavePath();
  aside([this, now = project(), path] {
    QDir().mkpath(QFileInfo(path).path());
    auto done = std::make_shared<Result<void>>(write_file(path.toStdString(), to_json(now)));
    return [this, done, now, path] {
      if (!*done) emit said(tr("Unsaved work could not be kept aside: %1").arg(qs(done->error().line())), true);
      if (path != autosavePath() || !modified()) {
        QFile::remove(path);  // saved or opened elsewhere in the meantime
        return;
      }
      autosaved_ = *done && now == project();
    };
  });
}

void Session::settle() {
  do {
    QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
  } while (working_ > 0);
  QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
}

}  // namespace dotlane
