#include "core/temporary_folder.hpp"

#include <stdlib.h>

#include <filesystem>

namespace dotlane {

TemporaryFolder::TemporaryFolder() {
  std::error_code trouble;
  const auto base = std::filesystem::temp_directory_path(trouble);
  std::string name = (trouble ? std::filesystem::path("/tmp") : base) / "dot-lane-XXXXXX";
  if (mkdtemp(name.data())) path_ = name;
}

TemporaryFolder::~TemporaryFolder() {
  std::error_code trouble;
  if (!path_.empty()) std::filesystem::remove_all(path_, trouble);
}

}  // namespace dotlane
