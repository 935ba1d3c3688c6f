// What stands for something in a way of use: FILE in "export P -o FILE".
#pragma once

#include <span>
#include <string>
#include <string_view>

namespace dotlane {

/// Such words in English, each translated by itself.
[[nodiscard]] std::span<const char* const> placeholders();

/// A way of use with its placeholders in the reader's language; all else in it is typed as it stands.
[[nodiscard]] std::string usage(std::string_view english);

}  // namespace dotlane
