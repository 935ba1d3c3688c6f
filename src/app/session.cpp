#include "app/session.hpp"

#include <QCoreApplication>
#include <set>
#include <utility>

#include "app/preferences/preferences.hpp"
#include "app/units.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/place/held.hpp"
#include "core/project/bounds.hpp"
#include "core/project/presets.hpp"

namespace dotlane {
namespace {

constexpr int kMsPerS = 1000;
constexpr int kQuietMs = 1200;          // without an edit: time to look for better orders of strokes
constexpr double kWorthSeconds = 0.05;  // what one of them has to save
constexpr int kTellMs = 100;            // between figures while hands drag
constexpr int kEditRestMs = 120;        // between edits that replace each other

}  // namespace

Project Session::freshProject() { return preferred_project(tr("Untitled").toStdString()); }

void Session::keepAsideAfter(int seconds) { autosave_timer_.setInterval(seconds * kMsPerS); }

Session::Session(QObject* parent) : QObject(parent), history_(freshProject()), saved_(history_.now()) {
  pool_.setMaxThreadCount(2);
  improve_timer_.setSingleShot(true);
  improve_timer_.setInterval(kQuietMs);
  connect(&improve_timer_, &QTimer::timeout, this, &Session::improveAside);
  autosave_timer_.setSingleShot(true);
  keepAsideAfter(preferences().autosave_s);
  connect(&autosave_timer_, &QTimer::timeout, this, &Session::autosaveAside);
  connect(this, &Session::derivedChanged, this, &Session::gatherFindings);
  tell_timer_.setSingleShot(true);
  tell_timer_.setInterval(kTellMs);
  connect(&tell_timer_, &QTimer::timeout, this, &Session::shown);
  edit_timer_.setSingleShot(true);
  edit_timer_.setInterval(kEditRestMs);
  connect(&edit_timer_, &QTimer::timeout, this, &Session::runEdits);
}

Session::~Session() {
  if (improving_) *improving_ = true;
  ++*reading_epoch_;
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
  noteSelected();
}

void Session::noteSelected() {
  std::set<int> ids;
  for (const auto& ref : selection_) ids.insert(ref.piece);
  selected_pieces_.assign(ids.begin(), ids.end());
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
                        const std::string& merge_key, Where where) {
  edit(
      [change = std::move(change), cache = cache_, where](const Project& from,
                                                          Effort effort) -> std::optional<Project> {
        if (where == Where::aside && effort == Effort::at_once) return std::nullopt;
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
  noteSelected();
  emit selectionChanged();
  tell();
}

std::vector<LineRef> Session::selectedLines() const {
  std::vector<LineRef> out;
  for (const auto& ref : selection_) {
    if (!ref.line.empty()) {
      out.push_back(ref);
    } else if (const DrawnPiece* drawn = find_drawn(drawing_, ref.piece)) {
      for (const auto& line : drawn->piece->lines) out.push_back({ref.piece, line.id});
    }
  }
  return out;
}

void Session::setWorn(std::vector<Finding> worn) {
  if (worn == worn_) return;
  worn_ = std::move(worn);
  gatherFindings();
}

void Session::gatherFindings() {
  findings_ = derived_->findings;
  findings_.insert(findings_.end(), worn_.begin(), worn_.end());
  std::stable_sort(findings_.begin(), findings_.end(),
                   [](const Finding& a, const Finding& b) { return a.severity > b.severity; });
  emit findingsChanged();
}

void Session::improveAside() {
  if (deriving_ || derived_->plan.passes.empty() || !(derived_->project == project())) return;
  if (working_ > 0) return improve_timer_.start();  // later
  improving_ = std::make_shared<std::atomic<bool>>(false);
  aside([this, derived = derived_, stop = improving_] {
    auto better = std::make_shared<const Derived>(with_better_order(*derived, [stop] { return stop->load(); }));
    return [this, derived, better, stop] {
      if (stop->load() || derived_ != derived || better->plan.seconds > derived->plan.seconds - kWorthSeconds) return;
      dropAside(std::exchange(derived_, better));
      emit derivedChanged();
    };
  });
}

void Session::deriveAside() {
  improve_timer_.stop();
  if (improving_) *improving_ = true;
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
          improve_timer_.start();
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
