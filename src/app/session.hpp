// What is open: the project with its history, what follows from it, the selection, the file.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <QTimer>
#include <atomic>
#include <deque>
#include <functional>
#include <memory>
#include <optional>

#include "app/autosave.hpp"
#include "core/error.hpp"
#include "core/project/history.hpp"
#include "core/road.hpp"
#include "core/shape/sizing.hpp"

namespace dotlane {

/// What clicks on the bench are for while they do not choose: contours are left out, bridges set and taken away, what
/// lies in a loop erased, what is cut parted along a line.
/// `places`: of bridges and seams.
enum class Picking { none, contours, places, erase, split };

struct PictureFile;

/// Commits take effect at once; drawing() is current but for recipes that take long (see
/// stale()). Plan and findings are worked out aside and follow with
/// derivedChanged(). Reading and writing files happens aside too.
class Session : public QObject {
  Q_OBJECT
 public:
  explicit Session(QObject* parent = nullptr);
  ~Session() override;

  [[nodiscard]] const Project& project() const { return history_.now(); }
  [[nodiscard]] const Drawing& drawing() const { return drawing_; }
  [[nodiscard]] const Derived& derived() const { return *derived_; }
  /// The same, to be held on to by work aside.
  [[nodiscard]] std::shared_ptr<const Derived> derivedHandle() const { return derived_; }
  /// What was found, the worst first: of the project, and of what the logbook knows of its tools.
  [[nodiscard]] const std::vector<Finding>& findings() const { return findings_; }
  void setWorn(std::vector<Finding> worn);
  /// Whether a recipe in drawing() is still being worked out.
  [[nodiscard]] bool stale() const;

  void commit(Project next, const QString& label, const std::string& merge_key = {});
  /// An edit that depends on where things lie; nothing when it would take long and Effort::at_once is asked for.
  using Change = std::function<std::optional<Project>(const Project&, Effort)>;
  /// Carries it out on the project as it is, at once where that is quick, else aside; edits wait for those asked for
  /// before them. With a merge key it replaces what came of earlier ones with that key, done from the project as it was
  /// before those, and one that still waits. So a drag ends where the last of its edits says, whatever each took.
  void edit(Change change, const QString& label, const std::string& merge_key = {});
  /// The same with the drawing of the very project that is edited, never an older one.
  enum class Where { at_once, aside };  ///< where the drawing is there at once; a change that takes long goes aside
  void editDrawn(std::function<Project(const Project&, const Drawing&)> change, const QString& label,
                 const std::string& merge_key = {}, Where where = Where::at_once);
  /// The same with the layout as well.
  void editLaid(std::function<Project(const Project&, const Drawing&, const Layout&)> change, const QString& label,
                const std::string& merge_key = {});
  /// Whether an edit is being worked out aside.
  [[nodiscard]] bool editing() const { return !edits_.empty(); }
  /// Sizes the pieces as one.
  void size(const std::vector<int>& pieces, const Sizing& sizing, const std::string& merge_key);
  /// Whether lengths typed in recipes grow along when pieces are sized.
  [[nodiscard]] bool scalesSteps() const { return scales_steps_; }
  void setScalesSteps(bool on);
  /// Ends the merging of commits with the same key, as at the start of a drag.
  void seal();
  /// How many steps could be undone.
  [[nodiscard]] std::size_t steps() const { return history_.place(); }
  [[nodiscard]] bool canUndo() const { return history_.can_undo(); }
  [[nodiscard]] bool canRedo() const { return history_.can_redo(); }
  [[nodiscard]] QString undoLabel() const;
  [[nodiscard]] QString redoLabel() const;
  void undo();
  void redo();

  /// A reference with an empty line id means the whole piece.
  [[nodiscard]] const std::vector<LineRef>& selection() const { return selection_; }
  void select(std::vector<LineRef> lines);
  /// The pieces that the selection touches, by rising id, and its lines with whole pieces spelled out.
  [[nodiscard]] const std::vector<int>& selectedPieces() const { return selected_pieces_; }
  [[nodiscard]] std::vector<LineRef> selectedLines() const;

  [[nodiscard]] QString path() const { return path_; }
  [[nodiscard]] bool modified() const { return !saved_ || !(project() == *saved_); }
  void newProject();
  /// Puts a project that was made here in the place of this one; nothing is lost with it while it is not changed.
  void openMade(Project project);
  /// How long after an edit unsaved work is kept aside.
  void keepAsideAfter(int seconds);
  /// Reads a project aside and puts it in the place of this one. When this one was changed meanwhile, `guard` decides:
  /// it calls what it is given, or does not. `then` hears the error, if there was one.
  using Guard = std::function<void(std::function<void()>)>;
  void open(const QString& path, Guard guard = {}, std::function<void(bool)> then = {});
  /// Takes up unsaved work that an ended program left; the project stays modified. The file is kept until the work
  /// stands in an autosave of our own. False when it cannot be read, which is said.
  bool recover(const QString& left, const QString& path);
  /// Of files with several pages, `page`.
  void bringIn(const QStringList& files, int page = 1);
  /// A picture under that name: it is read and traced aside.
  void bringInPicture(const QString& name, std::function<Result<PictureFile>()> read);
  /// Saves aside, once edits under way are there; saves follow one another. A file that was changed since it was read
  /// or written here is left alone, with changedOutside(), unless `over` says to write over it. `then` hears whether it
  /// worked.
  void save(const QString& path, std::function<void(bool)> then = {}, bool over = false);
  void cancelReading();
  [[nodiscard]] bool reading() const { return reading_ > 0; }

  /// Where unsaved work goes now, and whether the last of it has been written.
  [[nodiscard]] QString autosavePath() const { return autosave_.path(); }
  [[nodiscard]] bool autosaved() const { return autosaved_; }
  /// Nobody wants the unsaved work any more.
  void dropAutosave() { autosave_.discard(); }

  /// Runs `work` off the interface thread, then what it returns on it.
  /// What shows on the bench comes before what is only asked for (priority 1 before 0). Where the work fails, that is
  /// said and `failed` runs in the place of what it would have returned.
  void aside(std::function<std::function<void()>()> work, int priority = 0, std::function<void()> failed = {});
  /// Calls `then` once plan and findings have caught up with the project: at once when they have.
  void whenDerived(std::function<void()> then);

  /// Calls `then` once no edit is being worked out: at once when none is.
  void whenEdited(std::function<void()> then);

  /// A drag begins, or has ended: meanwhile what only tells figures follows at its leisure.
  void setHandsOn(bool on);

  /// Has everybody show what there is once more, as after a change of how it is shown.
  void showAnew();

  /// Runs the event loop until nothing is under way. For tests and pictures.
  void settle();

 signals:
  void changed();  ///< project and drawing
  /// Project, drawing or selection: for what tells figures of them. While hands drag it comes ten times a second at
  /// most.
  void shown();
  void derivedChanged();  ///< plan and findings
  void findingsChanged();
  void selectionChanged();
  void fileChanged();  ///< path, name or modified state
  void opened();       ///< another project is here; views should fit it
  void broughtIn(int piece);
  /// The file that was just brought in has others.
  void pagesLeft(const QString& file, int page, int pages);
  void said(const QString& message, bool problem);
  void pickingAsked(Picking what);  ///< what a value is to be clicked on the bench for
  void changedOutside(const QString& path, const std::function<void(bool)>& then);
  void readingChanged(const QString& what);  ///< empty when done

 private:
  [[nodiscard]] static Project freshProject();
  void replace(Project project, const QString& path, bool saved);
  /// Takes up what an edit made of a project: what is held follows first.
  void commitFrom(const Project& from, Project next, const QString& label, const std::string& merge_key);
  void touch();
  void tell();  // shown(), soon
  void dropLostSelection();
  void noteSelected();  // which pieces it touches
  void gatherFindings();
  void runEdits();
  void finishEdit();
  void deriveAside();
  /// Looks for better orders of strokes, while nothing else is to be done.
  void improveAside();
  /// Takes down how the parts are now, so that they are found again after the next edit.
  void remember(const Project& derived_from, const std::vector<PartRecord>& parts);
  /// Traces a picture, aside; what it returns adds it to the project.
  std::function<void()> tracePicture(const std::string& name, Result<PictureFile> read, const Project& before,
                                     int epoch);
  void autosaveAside();
  /// Lets go of a value off the interface thread: a million strokes take a while to go.
  template <class T>
  void dropAside(T value) {
    pool_.start([held = std::make_shared<T>(std::move(value))]() mutable { held.reset(); });
  }

  History history_;
  std::optional<Project> saved_;  ///< as it stands in the file; nothing when it stands in none
  QString path_;
  std::shared_ptr<DrawingCache> cache_ = std::make_shared<DrawingCache>();
  Drawing drawing_;
  std::shared_ptr<const Derived> derived_ = std::make_shared<const Derived>();
  std::vector<Finding> worn_, findings_;
  std::vector<LineRef> selection_;
  std::vector<int> selected_pieces_;  ///< of the selection
  QThreadPool pool_;
  QTimer autosave_timer_;
  Autosave autosave_;
  std::shared_ptr<const std::string> on_disk_;  ///< the file's contents as last read or written here

  struct Edit {
    Change change;
    QString label;
    std::string merge_key;
  };
  std::deque<Edit> edits_;
  QTimer edit_timer_;
  bool edit_runs_ = false, seal_after_ = false;
  int edit_epoch_ = 0;
  std::vector<std::function<void()>> after_edits_;
  std::shared_ptr<DrawingCache> sizing_cache_ = std::make_shared<DrawingCache>();
  bool scales_steps_ = false;

  bool hands_on_ = false;
  QTimer tell_timer_;

  QTimer improve_timer_;
  std::shared_ptr<std::atomic<bool>> improving_;  ///< set: what looks for better orders has to stop

  bool saving_ = false;
  std::deque<std::function<void()>> saves_;

  int working_ = 0, reading_ = 0;
  std::shared_ptr<std::atomic<int>> reading_epoch_ = std::make_shared<std::atomic<int>>(0);  ///< what is read is of one
  bool autosaving_ = false;
  bool deriving_ = false, derive_again_ = false, autosaved_ = true;
};

}  // namespace dotlane
