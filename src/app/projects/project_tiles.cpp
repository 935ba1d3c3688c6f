#include "app/projects/project_tiles.hpp"

#include <QDateTime>
#include <QLocale>
#include <QStyledItemDelegate>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/tile_card.hpp"

namespace dotlane {
namespace {

constexpr QSize kProjectTile(184, 172);
constexpr double kShownHigh = 108;

class ProjectTileDelegate : public QStyledItemDelegate {
 public:
  ProjectTileDelegate(ProjectTiles& tiles, QObject* parent) : QStyledItemDelegate(parent), tiles_(tiles) {}
  [[nodiscard]] QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return kProjectTile; }
  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& at) const override {
    const FoundProject& f = tiles_.found(at.row());
    const Theme& t = theme();
    p->save();
    const QRectF under = paint_tile_card(*p, option, QRectF(option.rect).adjusted(6, 4, -6, -4),
                                         tiles_.desk().picture(qs(f.path)), kShownHigh);
    p->setFont(ui_font(12.5, true));
    p->setPen(t.ink);
    paint_tile_line(*p, {under.left(), under.top(), under.width(), 18}, qs(f.glance.name));
    p->setFont(ui_font(11));
    p->setPen(!f.trouble ? t.quiet : t.serious);
    paint_tile_line(*p, {under.left(), under.top() + 17, under.width(), 16},
                    !f.trouble ? project_line(f, tiles_.unit()) : ProjectTiles::tr("cannot be read"));
    p->restore();
  }

 private:
  static QString project_line(const FoundProject& f, LengthUnit unit) {
    if (f.glance.pieces.empty()) return ProjectTiles::tr("nothing in it");
    return QStringLiteral("%1 %2 · %3")
        .arg(size_text({0, 0, f.glance.size_mm.x, f.glance.size_mm.y}, unit), unit_word(unit),
             counted(f.glance.pieces.size(), ProjectTiles::tr("piece"), ProjectTiles::tr("pieces")));
  }
  ProjectTiles& tiles_;
};

}  // namespace

ProjectTiles::ProjectTiles(ProjectDesk& desk, LengthUnit unit, QObject* parent)
    : QAbstractListModel(parent), desk_(desk), unit_(unit) {
  connect(&desk_, &ProjectDesk::pictureCame, this, [this](const QString& path) {
    if (const int row = rowOf(path.toStdString()); row >= 0) emit dataChanged(index(row), index(row));
  });
}

int ProjectTiles::rowCount(const QModelIndex& under) const {
  return under.isValid() ? 0 : static_cast<int>(found_.size());
}

int ProjectTiles::rowOf(const std::string& path) const {
  const auto at = std::find_if(found_.begin(), found_.end(), [&](const FoundProject& f) { return f.path == path; });
  return at == found_.end() ? -1 : static_cast<int>(at - found_.begin());
}

QVariant ProjectTiles::data(const QModelIndex& at, int role) const {
  if (!at.isValid() || at.row() >= rowCount()) return {};
  const FoundProject& f = found(at.row());
  if (role == Qt::UserRole) return qs(f.path);
  if (role == Qt::DisplayRole || role == Qt::AccessibleTextRole) return qs(f.glance.name);
  if (role == Qt::ToolTipRole) return qs(f.path);
  return {};
}

void ProjectTiles::setFound(std::vector<FoundProject> found) {
  beginResetModel();
  found_ = std::move(found);
  endResetModel();
}

QListView* make_project_list(ProjectTiles& tiles, QWidget* parent) {
  auto* list = new QListView(parent);
  list->setObjectName(QStringLiteral("projectTiles"));
  list->setAccessibleName(ProjectTiles::tr("Projects that were found"));
  list->setModel(&tiles);
  list->setItemDelegate(new ProjectTileDelegate(tiles, list));
  list->setViewMode(QListView::IconMode);
  list->setMovement(QListView::Static);
  list->setResizeMode(QListView::Adjust);
  list->setUniformItemSizes(true);
  list->setGridSize(kProjectTile);
  list->setLayoutMode(QListView::Batched);
  list->setBatchSize(400);
  list->setSelectionMode(QAbstractItemView::SingleSelection);
  list->setFrameShape(QFrame::NoFrame);
  list->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  set_kind(list, "ground");
  return list;
}

}  // namespace dotlane
