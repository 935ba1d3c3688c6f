// Pictures from files: PNG, JPEG and what else Qt reads, as pixels for the core.
#pragma once

#include <QImage>
#include <string>

#include "core/error.hpp"
#include "core/project/picture.hpp"

namespace dotlane {

/// The picture, scaled down to kLargestPicture when it is larger, on white where it is transparent. Errors name the
/// file and what is wrong with it. Needs no application object.
[[nodiscard]] Result<Picture> read_picture(const std::string& file);

/// The same of a picture that is there already, as from the clipboard.
[[nodiscard]] Picture picture_of(const QImage& image);

/// Whether the file's ending is one of a picture.
[[nodiscard]] bool is_picture(const std::string& file);

}  // namespace dotlane
