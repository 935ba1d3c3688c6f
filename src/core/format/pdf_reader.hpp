// PDF and PostScript in, by way of the programs that know them.
#pragma once

#include <string>
#include <string_view>

#include "core/error.hpp"
#include "core/format/read_options.hpp"
#include "core/project/artwork.hpp"

namespace dotlane {

/// Whether the bytes are PDF, or PostScript, which is made PDF first.
[[nodiscard]] bool looks_like_pdf(std::string_view bytes);

/// A page of the file, `options.page`, as poppler's pdftocairo draws it: paths, fills and strokes at their size, text
/// as outlines. Pages that are left are told in `notes`. PostScript goes by ghostscript, which is shut off from other
/// files. Both are programs of their own (Debian's poppler-utils and ghostscript) and have a minute; where one is
/// missing the error says so. Errors name `file_name`.
[[nodiscard]] Result<Artwork> read_pdf(std::string_view bytes, const std::string& file_name,
                                       const ReadOptions& options = {});

}  // namespace dotlane
