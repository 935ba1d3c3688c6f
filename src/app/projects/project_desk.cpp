#include "app/projects/project_desk.hpp"

#include <QBuffer>
#include <QElapsedTimer>
#include <QSettings>
#include <QThreadPool>

#include "app/data_file.hpp"
#include "app/recent_projects.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/format/files.hpp"
#include "core/shape/evaluate.hpp"
#include "render/project_picture.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr QSize kPicture(320, 200);
constexpr qint64 kTellEveryMs = 400;  // while folders are looked through

QString folders_key() { return QStringLiteral("projects/folders"); }

std::string png_of(const QImage& image) {
  QByteArray bytes;
  QBuffer to(&bytes);
  to.open(QIODevice::WriteOnly);
  image.save(&to, "PNG");
  return bytes.toStdString();
}

}  // namespace

QStringList project_folders() { return QSettings().value(folders_key()).toStringList(); }

void set_project_folders(const QStringList& folders) { QSettings().setValue(folders_key(), folders); }

void note_project(const QString& path) {
  QThreadPool::globalInstance()->start([path = path.toStdString(), file = data_file("projects.sqlite")] {
    if (auto index = ProjectIndex::open(file)) (void)index->note(path);
  });
}

ProjectDesk::ProjectDesk(QObject* parent) : QObject(parent) {
  for (Aside* aside : {&looks_, &finds_}) {
    connect(aside, &Aside::failed, this, [this](const QString& what) {
      emit said(tr("The projects could not be looked through: %1").arg(what), true);
    });
  }
  finds_.run([this, index = index_]() -> std::function<void()> {
    auto opened = ProjectIndex::open(data_file("projects.sqlite"));
    if (opened) {
      *index = std::move(*opened);
      return {};
    }
    return [this, line = qs(line_of(opened.error()))] {
      emit said(tr("Projects cannot be searched: %1").arg(line), true);
    };
  });
}

ProjectDesk::~ProjectDesk() { stop_ = true; }

void ProjectDesk::look(const QStringList& also) {
  looks_.run([this, folders = project_folders() + also, recent = recent_projects()]() -> std::function<void()> {
    auto index = ProjectIndex::open(data_file("projects.sqlite"));
    if (!index) return {};  // that was said
    const auto stop = [this] { return stop_.load(); };
    std::vector<std::string> files;
    for (const QString& path : recent) files.push_back(path.toStdString());
    for (const QString& folder : folders) {
      for (auto& path : projects_below(folder.toStdString(), stop)) files.push_back(std::move(path));
    }
    QElapsedTimer told;
    told.start();
    const auto done = bring_up_to_date(
        *index, files,
        [](const Project& project, const Drawing& drawing) {
          return png_of(project_picture(project, drawing, kPicture));
        },
        [&] {
          if (told.elapsed() > kTellEveryMs) {
            told.restart();
            QMetaObject::invokeMethod(this, &ProjectDesk::changed, Qt::QueuedConnection);
          }
          return stop_.load();
        });
    return [this, done] {
      if (!done) return emit said(tr("Projects could not be looked through: %1").arg(qs(line_of(done.error()))), true);
      if (done->read > 0) pictures_.clear(), awaited_.clear();
      emit changed();
    };
  });
}

void ProjectDesk::find(const QString& typed, double unit_mm, std::function<void(std::vector<FoundProject>)> then) {
  const int number = ++asked_;
  finds_.run([this, number, query = query_from(typed.toStdString(), unit_mm), index = index_,
              then = std::move(then)]() -> std::function<void()> {
    if (number != asked_ || !*index) return {};
    auto found =
        std::make_shared<std::vector<FoundProject>>((*index)->find(query).value_or(std::vector<FoundProject>{}));
    const auto known = (*index)->paths();
    return [this, number, found, then, count = known ? known->size() : 0] {
      known_ = count;
      if (number == asked_) then(std::move(*found));
    };
  });
}

QPixmap ProjectDesk::picture(const QString& path) {
  if (const auto known = pictures_.constFind(path); known != pictures_.constEnd()) return *known;
  if (awaited_.contains(path)) return {};
  awaited_.insert(path);
  finds_.run([this, path, index = index_]() -> std::function<void()> {
    QImage image;
    if (*index)
      image.loadFromData(QByteArray::fromStdString((*index)->picture_of(path.toStdString()).value_or("")), "PNG");
    return [this, path, image] {
      pictures_.insert(path, QPixmap::fromImage(image));
      emit pictureCame(path);
    };
  });
  return {};
}

void ProjectDesk::read(const QString& path, std::function<void(std::shared_ptr<Result<Opened>>)> then) {
  finds_.run([path, then = std::move(then)]() -> std::function<void()> {
    auto project = load_project(path.toStdString());
    auto opened = std::make_shared<Result<Opened>>(tl::unexpected<Error>(project ? Error{} : project.error()));
    if (project) {
      DrawingCache cache;
      Drawing drawing = evaluate(*project, cache);
      *opened = Opened{std::move(*project), std::move(drawing)};
    }
    return [opened, then] { then(opened); };
  });
}

void ProjectDesk::pieces(const QString& path, QSize size, std::function<void(std::vector<QImage>)> then) {
  const int number = ++asked_pieces_;
  finds_.run([this, number, path, size, shown = theme(), then = std::move(then)]() -> std::function<void()> {
    if (number != asked_pieces_) return {};
    auto pictures = std::make_shared<std::vector<QImage>>();
    if (const auto project = load_project(path.toStdString())) {
      DrawingCache cache;
      const Drawing drawing = evaluate(*project, cache);
      for (const auto& piece : drawing.pieces) pictures->push_back(piece_picture(*project, *piece, size, shown));
    }
    return [this, number, pictures, then] {
      if (number == asked_pieces_) then(std::move(*pictures));
    };
  });
}

void ProjectDesk::settle() {
  while (looks_.busy() || finds_.busy()) looks_.settle(), finds_.settle();
}

}  // namespace dotlane
