// The projects that were found, a tile each.
#pragma once

#include <QAbstractListModel>
#include <QListView>
#include <vector>

#include "app/projects/project_desk.hpp"
#include "core/project/project.hpp"

namespace dotlane {

class ProjectTiles : public QAbstractListModel {
  Q_OBJECT
 public:
  ProjectTiles(ProjectDesk& desk, LengthUnit unit, QObject* parent);
  [[nodiscard]] int rowCount(const QModelIndex& under = {}) const override;
  [[nodiscard]] QVariant data(const QModelIndex& at, int role) const override;
  void setFound(std::vector<FoundProject> found);
  [[nodiscard]] const FoundProject& found(int row) const { return found_[static_cast<std::size_t>(row)]; }
  [[nodiscard]] ProjectDesk& desk() const { return desk_; }
  [[nodiscard]] LengthUnit unit() const { return unit_; }
  /// The row of a file, or -1.
  [[nodiscard]] int rowOf(const std::string& path) const;

 private:
  ProjectDesk& desk_;
  LengthUnit unit_;
  std::vector<FoundProject> found_;
};

/// A list that shows them as tiles.
[[nodiscard]] QListView* make_project_list(ProjectTiles& tiles, QWidget* parent);

}  // namespace dotlane
