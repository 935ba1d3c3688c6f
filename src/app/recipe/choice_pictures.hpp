// Small pictures beside the words of choices that say less than what they mean looks like.
#pragma once

#include <QIcon>
#include <optional>

#include "core/project/kinds.hpp"

namespace dotlane {

/// How copies of a little flag lie for a word of the "repeat" step's choices; nothing for other choices.
[[nodiscard]] std::optional<QIcon> choice_picture(const ValueSpec& spec, const std::string& word);
inline constexpr QSize kChoicePicture{60, 46};

}  // namespace dotlane
