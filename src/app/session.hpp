// What is open: the project with its history, what follows from it, the selection, the file.
#pragma once

#include <QObject>
#include <QThreadPool>
#include <QTimer>
#include <functional>
#include <memory>

#include "core/project/history.hpp"
#include "core/road.hpp"

namespace dotlane {

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
  /// Whether a recipe in drawing() is still being worked out.
  [[nodiscard]] bool stale() const;

  void commit(Project next, const QString& label, const std::string& merge_key = {});
  /// Ends the merging of commits with the same key, as at the start of a drag.
  void seal() { history_.seal(); }
  [[nodiscard]] bool canUndo() const { return history_.can_undo(); }
  [[nodiscard]] bool canRedo() const { return history_.can_redo(); }
  [[nodiscard]] QString undoLabel() const;
  [[nodiscard]] QString redoLabel() const;
  void undo();
  void redo();

  /// A reference with an empty line id means the whole piece.
  [[nodiscard]] const std::vector<LineRef>& selection() const { return selection_; }
  void select(std::vector<LineRef> lines);
  /// The pieces that the selection touches, and its lines with whole pieces spelled out.
  [[nodiscard]] std::vector<int> selectedPieces() const;
  [[nodiscard]] std::vector<LineRef> selectedLines() const;

  [[nodiscard]] QString path() const { return path_; }
  [[nodiscard]] bool modified() const { return !saved_ || !(project() == *saved_); }
  void newProject();
  void open(const QString& path);
  /// Takes up unsaved work from an autosave; the project stays modified.
  void recover(const QString& autosave, const QString& path);
  void bringIn(const QStringList& files);
  /// Saves aside; `then` hears whether it worked.
  void save(const QString& path, std::function<void(bool)> then = {});
  void cancelReading();
  [[nodiscard]] bool reading() const { return reading_ > 0; }

  /// Where unsaved work goes now, and whether the last of it has been written.
  [[nodiscard]] QString autosavePath() const;
  [[nodiscard]] bool autosaved() const { return autosaved_; }
  void removeAutosave();

  /// Runs `work` off the interface thread, then what it returns on it.
  /// What shows on the bench comes before what is only asked for (priority 1 before 0).
  void aside(std::function<std::function<void()>()> work, int priority = 0);
  /// Calls `then` once plan and findings have caught up with the project: at once when they have.
  void whenDerived(std::function<void()> then);

  /// Runs the event loop until nothing is under way. For tests and pictures.
  void settle();

 signals:
  void changed();         ///< project and drawing
  void derivedChanged();  ///< plan and findings
  void selectionChanged();
  void fileChanged();  ///< path, name or modified state
  void opened();       ///< another project is here; views should fit it
  void broughtIn(int piece);
  void said(const QString& message, bool problem);
  void readingChanged(const QString& what);  ///< empty when done

 private:
  void replace(Project project, const QString& path, bool saved);
  void touch();
  void dropLostSelection();
  void deriveAside();
  /// Reads and traces a picture aside; what it returns adds it to the project.
  std::function<void()> tracePicture(const std::string& name, const Project& before, int epoch);
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
  std::vector<LineRef> selection_;
  QThreadPool pool_;
  QTimer autosave_timer_;
  int working_ = 0, reading_ = 0, reading_epoch_ = 0;
  bool deriving_ = false, derive_again_ = false, autosaved_ = true;
};

}  // namespace dotlane
