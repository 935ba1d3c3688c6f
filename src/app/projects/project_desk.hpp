// All one's projects in the window: kept true and searched aside, with a picture of each.
#pragma once

#include <QHash>
#include <QImage>
#include <QObject>
#include <QPixmap>
#include <QSet>
#include <QStringList>
#include <atomic>
#include <functional>
#include <memory>
#include <optional>
#include <vector>

#include "app/aside.hpp"
#include "core/library/look_through.hpp"

namespace dotlane {

/// The folders that are looked through, across sessions.
[[nodiscard]] QStringList project_folders();
void set_project_folders(const QStringList& folders);
/// A project was opened or saved here: it is known from now on, wherever it lies.
void note_project(const QString& path);

class ProjectDesk : public QObject {
  Q_OBJECT
 public:
  explicit ProjectDesk(QObject* parent);
  ~ProjectDesk() override;

  /// Looks through the folders, and `also`, and at what is known; changed() tells as it goes.
  void look(const QStringList& also = {});
  [[nodiscard]] bool looking() const { return looks_.busy(); }
  [[nodiscard]] std::size_t known() const { return known_; }
  /// What meets the query; `then` hears the answer to the last one asked.
  void find(const QString& typed, double unit_mm, std::function<void(std::vector<FoundProject>)> then);
  /// Of a project; null until it is there, pictureCame() tells.
  [[nodiscard]] QPixmap picture(const QString& path);
  /// Pictures of its pieces, read from the file; `then` hears them in the order of the pieces, or nothing where the
  /// file cannot be read or another was asked for since.
  void pieces(const QString& path, QSize size, std::function<void(std::vector<QImage>)> then);
  /// Pieces of it, to be put into another project: `then` hears the project that has them, as it was evaluated.
  struct Opened {
    Project project;
    Drawing drawing;
  };
  void read(const QString& path, std::function<void(std::shared_ptr<Result<Opened>>)> then);
  void settle();

 signals:
  void changed();  ///< more is known
  void pictureCame(const QString& path);
  void said(const QString& message, bool problem);

 private:
  std::atomic<bool> stop_ = false;
  std::atomic<int> asked_ = 0, asked_pieces_ = 0;
  std::size_t known_ = 0;
  QHash<QString, QPixmap> pictures_;
  QSet<QString> awaited_;
  std::shared_ptr<std::optional<ProjectIndex>> index_ = std::make_shared<std::optional<ProjectIndex>>();
  Aside looks_{this}, finds_{this};  // finding does not wait for looking
};

}  // namespace dotlane
