// The session's files: opened, brought in, saved, kept aside.
#include <QDir>
#include <QFile>
#include <QFileInfo>
#include <QStandardPaths>

#include "app/session.hpp"
#include "app/units.hpp"
#include "core/format/artwork_reader.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/picture_file.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

/// The artwork as a new piece. Where its size is assumed, its place is no more certain: it comes inside the usable
/// area.
Project brought_in(const Project& project, const Artwork& art, const std::string& file, int* id) {
  Project next = add_artwork(project, art, file, id);
  if (art.unit_source != UnitSource::assumed) return next;
  DrawingCache cache;
  return bring_onto_mat(next, evaluate(next, cache), {*id});
}

}  // namespace

void Session::replace(Project project, const QString& path, bool saved) {
  autosave_.discard();  // whoever called has asked whether the work in it may go
  ++edit_epoch_;
  edit_timer_.stop();
  edits_.clear();
  after_edits_.clear();
  seal_after_ = false;
  if (saved) {
    saved_ = project;
  } else {
    saved_.reset();
  }
  history_ = History(std::move(project));
  path_ = path;
  selection_.clear();
  derived_ = std::make_shared<const Derived>();
  worn_.clear(), findings_.clear();
  touch();
  if (saved) {
    autosave_timer_.stop();
    autosaved_ = true;
  }
  emit opened();
}

void Session::newProject() {
  on_disk_.reset();
  replace(freshProject(), {}, true);
}

void Session::openMade(Project project) {
  on_disk_.reset();
  replace(std::move(project), {}, true);
}

void Session::open(const QString& path, Guard guard, std::function<void(bool)> then) {
  const int epoch = *reading_epoch_;
  ++reading_;
  emit readingChanged(tr("Opening %1").arg(QFileInfo(path).fileName()));
  auto fault = [this, then] {
    --reading_;
    emit readingChanged({});
    if (then) then(false);
  };
  aside(
      [this, path, epoch, guard, then, before = project(), cache = cache_] {
        auto bytes = read_file(path.toStdString());
        auto read = std::make_shared<Result<Project>>(bytes ? project_from_json(*bytes, path.toStdString())
                                                            : tl::unexpected<Error>(bytes.error()));
        if (*read) (void)evaluate(**read, *cache);
        auto contents = std::make_shared<const std::string>(bytes ? std::move(*bytes) : std::string());
        return [this, read, contents, path, epoch, guard, then, before] {
          --reading_;
          emit readingChanged({});
          if (epoch != *reading_epoch_) return;
          if (!*read) {
            emit said(qs(line_of(read->error())), true);
            if (then) then(false);
            return;
          }
          auto put = [this, read, contents, path, then] {
            on_disk_ = contents;
            replace(std::move(**read), QFileInfo(path).absoluteFilePath(), true);
            if (then) then(true);
          };
          // What was done while it was being read is not thrown away unasked.
          if (guard && modified() && !(before == project())) return guard(put);
          put();
        };
      },
      0, fault);
}

bool Session::recover(const QString& left, const QString& path) {
  auto read = load_project(left.toStdString());
  if (!read) {
    emit said(tr("%1 It is kept as %2.").arg(qs(line_of(read.error())), left), true);
    return false;
  }
  // What it was made from is there to compare with, should it be saved over that.
  if (!path.isEmpty()) {
    auto bytes = read_file(path.toStdString());
    on_disk_ = bytes ? std::make_shared<const std::string>(std::move(*bytes)) : nullptr;
  } else {
    on_disk_.reset();
  }
  replace(std::move(*read), path, false);
  autosave_.supersede(left);  // goes once the work stands in a file of our own
  autosaveAside();
  return true;
}

void Session::bringIn(const QStringList& files, int page) {
  for (const QString& file : files) {
    const std::string name = file.toStdString();
    if (is_picture(name)) {
      bringInPicture(file, [name] { return read_picture(name); });
      continue;
    }
    const int epoch = *reading_epoch_;
    ++reading_;
    emit readingChanged(tr("Reading %1").arg(QFileInfo(file).fileName()));
    aside([this, file, name, epoch, page, cache = cache_, before = project(),
           now = reading_epoch_]() -> std::function<void()> {
      auto art = std::make_shared<Result<Artwork>>(tl::unexpected<Error>(Error{}));
      ReadOptions options;
      options.page = page;
      options.stop = [now, epoch] { return *now != epoch; };
      auto bytes = read_file(name, options.max_bytes);
      *art = bytes ? read_artwork(*bytes, name, options) : tl::unexpected<Error>(bytes.error());
      auto next = std::make_shared<Project>();
      int id = 0;
      if (*art) {
        *next = brought_in(before, **art, name, &id);
        (void)evaluate(*next, *cache);
      }
      return [this, art, next, before, id, file, epoch, page]() mutable {
        --reading_;
        emit readingChanged({});
        if (epoch != *reading_epoch_) return;
        if (!*art) {
          emit said(qs(line_of(art->error())), true);
          return;
        }
        if (!(before == project())) *next = brought_in(project(), **art, file.toStdString(), &id);
        commit(std::move(*next), tr("Bring in %1").arg(QFileInfo(file).fileName()));
        select({{id, ""}});
        emit broughtIn(id);
        for (const auto& note : (*art)->notes) {
          if (note.code == "pages-left-out")
            emit pagesLeft(file, page, static_cast<int>(std::get<double>(note.figures.at("pages"))));
        }
      };
    });
  }
}

void Session::bringInPicture(const QString& file, std::function<Result<PictureFile>()> read) {
  ++reading_;
  emit readingChanged(tr("Reading %1").arg(QFileInfo(file).fileName()));
  aside([this, name = file.toStdString(), read = std::move(read), before = project(), epoch = int(*reading_epoch_)] {
    return tracePicture(name, read(), before, epoch);
  });
}

std::function<void()> Session::tracePicture(const std::string& name, Result<PictureFile> read, const Project& before,
                                            int epoch) {
  auto picture = std::make_shared<Result<PictureFile>>(std::move(read));
  auto next = std::make_shared<Project>();
  auto id = std::make_shared<int>(0);
  const Values values = *picture ? stated_values(**picture) : Values{};
  if (*picture) {
    *next = add_picture(before, (*picture)->picture, name, values, id.get());
    (void)evaluate(*next, *cache_);
  }
  return [this, picture, next, id, name, before, epoch, values] {
    --reading_;
    emit readingChanged({});
    if (epoch != *reading_epoch_) return;
    if (!*picture) {
      emit said(qs(line_of(picture->error())), true);
      return;
    }
    if (!(before == project())) *next = add_picture(project(), (*picture)->picture, name, values, id.get());
    commit(std::move(*next), tr("Trace %1").arg(QFileInfo(qs(name)).fileName()));
    select({{*id, ""}});
    emit broughtIn(*id);
    if (!values.empty())
      emit said(tr("%1 is %2 wide, as its resolution says.")
                    .arg(QFileInfo(qs(name)).fileName(), length_text((*picture)->width_mm, project().unit)),
                false);
  };
}

void Session::cancelReading() {
  ++*reading_epoch_;
  emit readingChanged({});
}

void Session::save(const QString& path, std::function<void(bool)> then, bool over) {
  if (saving_ || editing()) {
    // In the order asked for, and with the value of the moment they are written.
    const auto again = [this, path, then = std::move(then), over] { save(path, then, over); };
    if (saving_) {
      saves_.push_back(again);
    } else {
      whenEdited(again);
    }
    return;
  }
  Project now = project();
  if (path_.isEmpty() && now.name == freshProject().name) now.name = QFileInfo(path).completeBaseName().toStdString();
  if (!(now == project())) commit(now, tr("Name the project"));
  saving_ = true;
  const QString whole = QFileInfo(path).absoluteFilePath();
  auto next = [this] {
    saving_ = false;
    if (saves_.empty()) return;
    const auto save = std::move(saves_.front());
    saves_.pop_front();
    save();
  };
  aside(
      [this, now = project(), whole, then, next, known = over || whole != path_ ? nullptr : on_disk_] {
        const std::string file = whole.toStdString();
        if (known && QFileInfo::exists(whole)) {
          const auto there = read_file(file);
          if (there && *there != *known) {
            return std::function<void()>([this, whole, then, next] {
              next();
              emit changedOutside(whole, then);
            });
          }
        }
        auto bytes = std::make_shared<const std::string>(to_json(now));
        auto done = std::make_shared<Result<void>>(write_file(file, *bytes));
        return std::function<void()>([this, done, now, bytes, whole, then, next] {
          if (*done) {
            path_ = whole;
            saved_ = now;
            on_disk_ = bytes;
            // Only a save of this very value makes the autosave needless.
            if (!modified()) {
              autosave_timer_.stop();
              autosave_.discard();
              autosaved_ = true;
            } else {
              autosaved_ = false;
              autosave_timer_.start();
            }
            emit fileChanged();
            emit said(tr("Saved %1").arg(QFileInfo(whole).fileName()), false);
          } else {
            emit said(qs(line_of(done->error())), true);
          }
          next();
          if (then) then(done->has_value());
        });
      },
      0,
      [then, next] {
        next();
        if (then) then(false);
      });
}

void Session::autosaveAside() {
  if (!modified()) {
    autosaved_ = true;
    autosave_.discard();
    return;
  }
  if (autosaving_) return autosave_timer_.start();  // one after the other, or the older could land last
  autosaving_ = true;
  const QString path = autosave_.take(Autosave::base(path_));
  aside(
      [this, now = project(), path] {
        auto done = std::make_shared<Result<void>>(write_file(path.toStdString(), to_json(now)));
        return [this, done, now, path] {
          autosaving_ = false;
          if (!*done) emit said(tr("Unsaved work could not be kept aside: %1").arg(qs(line_of(done->error()))), true);
          if (path != autosave_.path()) {
            QFile::remove(path);  // saved or opened elsewhere in the meantime
            return;
          }
          if (*done) autosave_.written();
          autosaved_ = *done && now == project();
        };
      },
      0, [this] { autosaving_ = false; });
}

}  // namespace dotlane
