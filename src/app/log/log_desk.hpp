// The logbook in the window: reads and writes it aside, one thing after the other, and holds what its views share.
#pragma once

#include <QHash>
#include <QObject>
#include <QPixmap>
#include <QSet>
#include <functional>
#include <memory>
#include <optional>
#include <vector>

#include "app/aside.hpp"
#include "core/logbook/advice.hpp"
#include "core/logbook/learned.hpp"
#include "core/logbook/logbook.hpp"
#include "core/road.hpp"

namespace dotlane {

class LogDesk : public QObject {
  Q_OBJECT
 public:
  /// With the logbook in the user's data folder, or another file.
  explicit LogDesk(QObject* parent = nullptr, const std::string& file = {});

  /// Keeps a run, or what is known of it by now. Entry and picture are made aside; `then` hears the entry with its
  /// number.
  void keep(std::function<LoggedRun()> run, std::shared_ptr<const std::string> project,
            std::function<std::string()> picture, std::function<void(const LoggedRun&)> then = {});
  /// Runs are not written down any more, as while pictures are taken.
  void stopKeeping() { keeps_ = false; }
  void say(std::int64_t run, int pass, CameOut out);  ///< of all passes where `pass` is 0
  void say(std::int64_t run, Weeding weeding);
  void note(std::int64_t run, const QString& note);
  /// Photographs of what came out: shrunk copies beside the logbook.
  void addPhotos(std::int64_t run, const QStringList& files);
  [[nodiscard]] QString photoPath(const std::string& name) const;
  /// One of them, no longer than so many px; `then` hears it, null where it is not there any more.
  void photo(const std::string& name, int longest, std::function<void(QImage)> then);

  [[nodiscard]] const RunFilter& filter() const { return filter_; }
  void setFilter(const RunFilter& filter);
  [[nodiscard]] const std::vector<RunGlance>& glances() const { return glances_; }
  [[nodiscard]] const Logbook::Known& known() const { return known_; }
  /// The run that is looked at, once it is there, and one that it is compared with.
  [[nodiscard]] const std::optional<LoggedRun>& chosen() const { return chosen_; }
  [[nodiscard]] const std::optional<LoggedRun>& compared() const { return compared_; }
  void choose(std::int64_t run);
  void compareWith(std::int64_t run);
  /// Of what came out; null until it is there, pictureCame() tells.
  [[nodiscard]] QPixmap picture(std::int64_t run);
  /// The project as it was then; `then` hears its text.
  void projectOf(std::int64_t run, std::function<void(std::string)> then);

  /// One stock and tool that were tried: what was set, what came of it and what the model makes of that.
  struct Field {
    QString stock, tool;
    std::vector<Tried> tried;
    std::vector<double> forces, depths;  ///< of the map
    std::vector<double> clean;           ///< by force, then by depth: the chance
  };
  /// What worked, stock by stock; `then` hears it.
  void fields(const Project& project, std::function<void(std::vector<Field>)> then);
  /// What to set now; `then` hears nothing where that cannot be said.
  void advise(const Project& project, const std::string& stock, const std::string& tool, Role role,
              std::function<void(std::optional<Advice>)> then);

  /// How what comes out follows the force; `then` hears nothing where that cannot be said.
  void forceCurve(const Project& project, const std::string& stock, const std::string& tool, Role role, double depth,
                  int repeats, std::function<void(std::optional<ForceCurve>)> then);
  /// How long a machine of that name really takes, by role; `then` hears it.
  void learnedPace(const std::string& machine, std::function<void(std::map<Role, Pace>)> then);
  /// Metres that a tool has marked since it was new; `then` hears it.
  void metresOf(const std::string& tool, std::function<void(double)> then);
  /// From now on it is a new one.
  void putInNew(const std::string& tool);
  /// What will be dry or worn out before a plan is done; `then` hears it, with nothing where all will last.
  void runningOut(std::shared_ptr<const Derived> of, std::function<void(std::vector<Finding>)> then);

  /// Reads the lists anew, as on coming to them: another window may have written.
  void refresh();
  /// Runs the event loop until all is read and written. For tests and pictures.
  void settle() { aside_.settle(); }

 signals:
  void changed();        ///< the list, or what there is to filter by
  void chosenChanged();  ///< what is looked at
  void pictureCame(qint64 run);
  void said(const QString& message, bool problem);

 private:
  /// Work on the logbook; what it returns runs in the window. Not at all while there is no logbook.
  void aside(std::function<std::function<void()>(Logbook&)> work);
  void openBook(const std::string& file);
  void read(bool all = true);                                        // else what there is to filter by stays
  bool written(const Result<void>& done);                            // says so where it was not
  std::function<void()> shown(std::int64_t run, Result<void> done);  // after a change to it, in the window
  QImage planned_picture(Logbook& book, std::int64_t run);           // aside

  std::string folder_;  // of the logbook
  std::shared_ptr<std::optional<Logbook>> book_ = std::make_shared<std::optional<Logbook>>();
  bool keeps_ = true;
  RunFilter filter_;
  std::vector<RunGlance> glances_;
  Logbook::Known known_;
  std::optional<LoggedRun> chosen_, compared_;
  std::int64_t wanted_ = 0;
  QHash<qint64, QPixmap> pictures_;
  QSet<qint64> asked_;
  QHash<QString, QImage> planned_;  // by the project's key; the work aside alone has it
  Aside aside_{this};               // which alone touches the book; it ends before what it works on
};

}  // namespace dotlane
