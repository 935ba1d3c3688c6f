// Looking through folders for projects, and keeping an index of them true.
#pragma once

#include <functional>
#include <string>
#include <vector>

#include "core/library/project_index.hpp"

namespace dotlane {

/// Every file in the folder and below it whose name ends in ".dotlane", by path. Hidden folders and links to folders
/// are passed by, as is what may not be read.
[[nodiscard]] std::vector<std::string> projects_below(const std::string& folder,
                                                      const std::function<bool()>& stop = {});

struct Looked {
  std::size_t read = 0, unread = 0, forgotten = 0;  ///< projects taken in anew; that could not be; that are gone
};
/// What is known of a project: its picture as a PNG is made by who can draw.
using DrawPicture = std::function<std::string(const Project&, const Drawing&)>;
/// Reads those of the files that were changed since they were taken in, and forgets what was deleted. Files on a drive
/// that is not there are kept in mind.
[[nodiscard]] Result<Looked> bring_up_to_date(ProjectIndex& index, const std::vector<std::string>& files,
                                              const DrawPicture& picture = {}, const std::function<bool()>& stop = {});

}  // namespace dotlane
