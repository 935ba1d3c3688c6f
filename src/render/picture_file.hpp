// Pictures from files: PNG, JPEG and what else Qt reads, as pixels for the core.
#pragma once

#include <QImage>
#include <string>

#include "core/error.hpp"
#include "core/project/kinds.hpp"
#include "core/project/picture.hpp"

namespace dotlane {

struct PictureFile {
  Picture picture;
  /// What it stands for on paper, mm wide, as its resolution says; 0 where it says none. 72 and 96 dots per inch are
  /// written by programs that know nothing of paper, and say none.
  double width_mm = 0;
};

/// The picture, scaled down to kLargestPicture when it is larger, on white where it is transparent, turned as its tag
/// says. Errors name the file and what is wrong with it. Needs no application object.
[[nodiscard]] Result<PictureFile> read_picture(const std::string& file);

/// What a traced picture takes from the file: its width, where that is stated and not more than one may be.
[[nodiscard]] Values stated_values(const PictureFile& file);

/// The same of a picture that is there already, as from the clipboard.
[[nodiscard]] Picture picture_of(const QImage& image);

/// Whether the file's ending is one of a picture.
[[nodiscard]] bool is_picture(const std::string& file);

}  // namespace dotlane
