// A file in the user's data folder; core/places.hpp says the same to the command line.
#pragma once

#include <QStandardPaths>
#include <string>

namespace dotlane {

[[nodiscard]] inline std::string data_file(const char* name) {
  return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation).toStdString() + "/" + name;
}

}  // namespace dotlane
