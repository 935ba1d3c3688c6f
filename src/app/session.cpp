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
#include "core/place/held.hpp"
#include "core/project/bounds.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/picture_file.hpp"

namespace dotlane {
namespace {

constexpr int kAutosaveMs = 800;
constexpr int kTellMs = 100;      // between figures while hands drag
constexpr int kEditRestMs = 120;  // between edits that replace each other

/// The artwork as a new piece. Where its size is assumed, its place is no more certain: it comes inside the usable
/// area.
Project brought_in(const Project& project, const Artwork& art, const std::string& file, int* id) {
  Project next = add_artwork(project, art, file, id);
  if (art.unit_source != UnitSource::assumed) return next;
  DrawingCache cache;
  return bring_onto_mat(next, evaluate(next, cache), {*id});
}

Project fresh_project() { return new_project(QCoreApplication::translate("Session", "Untitled").toStdString()); }

}  // namespace

Session::Session(QObject* parent) : QObject(parent), history_(fresh_project()), saved_(history_.now()) {
  pool_.setMaxThreadCount(2);
  autosave_timer_.setSingleShot(true);
  autosave_timer_.setInterval(kAutosaveMs);
  connect(&autosave_timer_, &QTimer::timeout, this, &Session::autosaveAside);
  tell_timer_.setSingleShot(true);
  tell_timer_.setInterval(kTellMs);
  connect(&tell_timer_, &QTimer::timeout, this, &Session::shown);
  edit_timer_.setSingleShot(true);
  edit_timer_.setInterval(kEditRestMs);
  connect(&edit_timer_, &QTimer::timeout, this, &Session::runEdits);
}

Session::~Session() {
  pool_.clear();
  pool_.waitForDone();
}

void Session::aside(std::function<std::function<void()>()> work, int priority, std::function<void()> failed) {
  ++working_;
  pool_.start(
      [this, work = std::move(work), failed = std::move(failed)] {
        // The boundary: whatever goes wrong in there is told, and the program and its autosave live on.
        std::function<void()> finish;
        auto fault = [&](const QString& what) {
          finish = [this, failed, what] {
            if (failed) failed();
            emit said(tr("That could not be worked out: %1. Nothing was changed.").arg(what), true);
          };
        };
        try {
          finish = work();
        } catch (const std::bad_alloc&) {
          fault(tr("there is not enough memory"));
        } catch (const std::exception& e) {
          fault(QString::fromUtf8(e.what()));
        }
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
  tell();
  emit fileChanged();
  deriveAside();
}

void Session::tell() {
  if (!hands_on_) return emit shown();
  if (!tell_timer_.isActive()) tell_timer_.start();
}

void Session::setHandsOn(bool on) {
  hands_on_ = on;
  if (on || !tell_timer_.isActive()) return;
  tell_timer_.stop();
  emit shown();
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
  commitFrom(project(), std::move(next), label, merge_key);
}

void Session::commitFrom(const Project& from, Project next, const QString& label, const std::string& merge_key) {
  next = with_held_places(from, std::move(next), *cache_, Effort::at_once);
  // What could be saved and not be read again is not taken up.
  std::set<const Piece*> kept;
  for (const auto& piece : project().pieces) kept.insert(&*piece);
  for (const auto& piece : next.pieces) {
    if (kept.count(&*piece)) continue;
    const BrokenBound broken = broken_bound(*piece);
    if (broken.bound == Bound::kept) continue;
    const QString what =
        broken.bound == Bound::distant ? tr("\u201c%1\u201d would lie more than 100 m away; it stays as it is.")
        : broken.bound == Bound::enlarged
            ? tr("\u201c%1\u201d would grow to more than 10,000 times its first size; it stays as it is.")
            : tr("\u201c%1\u201d would have no width or no height; it stays as it is.");
    emit said(what.arg(qs(piece->name)), true);
    return;
  }
  if (history_.commit(std::move(next), label.toStdString(), merge_key)) touch();
}

void Session::edit(Change change, const QString& label, const std::string& merge_key) {
  if (edits_.empty()) {
    if (auto next = change(history_.before(merge_key), Effort::at_once))
      return commitFrom(history_.before(merge_key), std::move(*next), label, merge_key);
  }
  // Of edits that replace each other only the last is worth waiting for; the one that runs is let finish, to be seen.
  if (!merge_key.empty() && edits_.size() > (edit_runs_ ? 1u : 0u) && edits_.back().merge_key == merge_key)
    edits_.pop_back();
  edits_.push_back({std::move(change), label, merge_key});
  if (merge_key.empty()) return runEdits();
  edit_timer_.start();  // more of the same may come, and what takes long is worth doing once
}

void Session::editDrawn(std::function<Project(const Project&, const Drawing&)> change, const QString& label,
                        const std::string& merge_key) {
  edit(
      [change = std::move(change), cache = cache_](const Project& from, Effort effort) -> std::optional<Project> {
        const Drawing drawing = evaluate(from, *cache, effort);
        if (std::any_of(drawing.pieces.begin(), drawing.pieces.end(), [](const auto& p) { return p->stale; }))
          return std::nullopt;
        return change(from, drawing);
      },
      label, merge_key);
}

void Session::editLaid(std::function<Project(const Project&, const Drawing&, const Layout&)> change,
                       const QString& label, const std::string& merge_key) {
  edit(
      [change = std::move(change), cache = cache_, derived = derived_](const Project& from,
                                                                       Effort effort) -> std::optional<Project> {
        // Mostly the project is the one that was laid out last, but for what was taken down of its parts since.
        Project seen = derived->project;
        if (!(seen == from)) seen.parts = remembered(seen, derived->drawing, derived->layout.parts);
        if (seen == from) {
          Layout layout = derived->layout;
          if (!(derived->project.parts == from.parts))
            layout.records = match(derived->drawing, layout.parts, from.parts);
          return change(from, derived->drawing, layout);
        }
        if (effort == Effort::at_once) return std::nullopt;
        const Drawing drawing = evaluate(from, *cache);
        return change(from, drawing, lay_out(from, drawing));
      },
      label, merge_key);
}

void Session::size(const std::vector<int>& pieces, const Sizing& sizing, const std::string& merge_key) {
  edit([pieces, sizing, cache = sizing_cache_](
           const Project& from, Effort effort) { return size_pieces(from, pieces, sizing, *cache, effort); },
       tr("Resize"), merge_key);
}

void Session::setScalesSteps(bool on) {
  if (std::exchange(scales_steps_, on) != on) emit selectionChanged(), tell();
}

void Session::runEdits() {
  if (edit_runs_ || edits_.empty() || edit_timer_.isActive()) return;
  edit_runs_ = true;
  const Edit edit = edits_.front();
  aside(
      [this, edit, from = history_.before(edit.merge_key), cache = cache_, epoch = edit_epoch_] {
        auto next = std::make_shared<std::optional<Project>>(edit.change(from, Effort::whole));
        if (*next) (void)evaluate(**next, *cache);  // so that it shows as soon as it is committed
        return [this, edit, from, next, epoch] {
          edit_runs_ = false;
          if (epoch != edit_epoch_) return runEdits();                        // given up, or another project
          if (!(from == history_.before(edit.merge_key))) return runEdits();  // edited meanwhile: on that, then
          finishEdit();
          if (*next) commitFrom(from, std::move(**next), edit.label, edit.merge_key);
          if (edits_.empty() && std::exchange(seal_after_, false)) history_.seal();
          if (edits_.empty()) emit selectionChanged(), tell();  // frames and fields say what is now
          runEdits();
        };
      },
      1,
      [this] {
        edit_runs_ = false;
        finishEdit();
        runEdits();
      });
}

/// The edit in front is done with.
void Session::finishEdit() {
  if (!edits_.empty()) edits_.pop_front();
  if (!edits_.empty()) return;
  // After the commit that follows.
  QMetaObject::invokeMethod(
      this,
      [this] {
        if (editing()) return;
        for (const auto& then : std::exchange(after_edits_, {})) then();
      },
      Qt::QueuedConnection);
}

void Session::seal() {
  if (editing()) {
    seal_after_ = true;  // what is under way belongs to what is being sealed
  } else {
    history_.seal();
  }
}

void Session::whenEdited(std::function<void()> then) {
  if (!editing()) return then();
  after_edits_.push_back(std::move(then));
}

QString Session::undoLabel() const { return canUndo() ? qs(history_.undo_label()) : QString(); }
QString Session::redoLabel() const { return canRedo() ? qs(history_.redo_label()) : QString(); }

void Session::undo() {
  // What is still being worked out goes first; alone, where nothing of it is to be seen yet.
  if (editing()) {
    const bool seen = &history_.before(edits_.front().merge_key) != &history_.now();
    ++edit_epoch_;
    edit_timer_.stop();
    edits_.resize(1);
    finishEdit();
    emit selectionChanged();
    tell();
    if (!seen) return;
  }
  if (!canUndo()) return;
  history_.undo();
  touch();
}

void Session::redo() {
  if (!canRedo() || editing()) return;
  history_.redo();
  touch();
}

void Session::select(std::vector<LineRef> lines) {
  if (lines == selection_) return;
  selection_ = std::move(lines);
  emit selectionChanged();
  tell();
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
          // What is held to what took long follows only now.
          auto followed = with_held_places(project, project, *cache);
          auto drawing = std::make_shared<Drawing>(evaluate(followed, *cache));
          return [this, drawing, project, followed = std::move(followed)] {
            deriving_ = derive_again_ = false;
            if (project == this->project()) {
              if (!(followed == project)) history_.amend(followed);
              dropAside(std::exchange(drawing_, *drawing));
              dropLostSelection();
              emit changed();
              emit selectionChanged();
              tell();
            }
            deriveAside();
          };
        },
        1, [this] { deriving_ = derive_again_ = false; });
    return;
  }
  aside(
      [this, project = project(), cache = cache_] {
        auto derived = std::make_shared<const Derived>(derive(project, *cache));
        return [this, derived, project, parts = remembered(project, derived->drawing, derived->layout.parts)] {
          deriving_ = false;
          remember(project, parts);
          if (derive_again_) {
            derive_again_ = false;
            deriveAside();
          }
          dropAside(std::exchange(derived_, derived));
          emit derivedChanged();
        };
      },
      1, [this] { deriving_ = derive_again_ = false; });
}

void Session::remember(const Project& derived_from, const std::vector<PartRecord>& parts) {
  if (parts == project().parts || !(derived_from == project())) return;
  Project now = project();
  now.parts = parts;
  if (saved_ && *saved_ == project()) saved_ = now;  // nobody edited anything
  history_.amend(std::move(now));
}

void Session::whenDerived(std::function<void()> then) {
  if (!deriving_) return then();
  connect(
      this, &Session::derivedChanged, this, [this, then = std::move(then)] { whenDerived(then); },
      Qt::SingleShotConnection);
}

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
  touch();
  if (saved) {
    autosave_timer_.stop();
    autosaved_ = true;
  }
  emit opened();
}

void Session::newProject() {
  on_disk_.reset();
  replace(fresh_project(), {}, true);
}

void Session::open(const QString& path, Guard guard, std::function<void(bool)> then) {
  const int epoch = reading_epoch_;
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
          if (epoch != reading_epoch_) return;
          if (!*read) {
            emit said(qs(read->error().line()), true);
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
    emit said(tr("%1 It is kept as %2.").arg(qs(read.error().line()), left), true);
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
        *next = brought_in(before, **art, name, &id);
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
        if (!(before == project())) *next = brought_in(project(), **art, file.toStdString(), &id);
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
  if (path_.isEmpty() && now.name == fresh_project().name) now.name = QFileInfo(path).completeBaseName().toStdString();
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
            emit said(qs(done->error().line()), true);
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
          if (!*done) emit said(tr("Unsaved work could not be kept aside: %1").arg(qs(done->error().line())), true);
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

void Session::showAnew() {
  emit changed();
  emit selectionChanged();
  emit shown();
  emit derivedChanged();
}

void Session::settle() {
  QCoreApplication::processEvents();
  // Each of these ends by an event of this thread.
  while (working_ > 0 || editing() || !after_edits_.empty() || !saves_.empty())
    QCoreApplication::processEvents(QEventLoop::WaitForMoreEvents);
  QCoreApplication::processEvents();
}

}  // namespace dotlane
