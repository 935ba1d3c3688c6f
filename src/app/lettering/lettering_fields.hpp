// Fields of the recipe that only lettering has: its words, typeface, features, letterforms, axes and single letters.
#pragma once

#include <QWidget>
#include <functional>

#include "app/lettering/typing.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {

/// What the fields call on.
struct LetteringDesk {
  Typing* typing = nullptr;
  std::function<void()> chooseFace, pickForms;
};

/// The field for one of lettering's own values, or null where the usual field for its type does. It follows the piece
/// that the caret is in by itself.
[[nodiscard]] QWidget* make_lettering_field(const ValueSpec& spec, const LetteringDesk& desk, Session& session,
                                            QWidget* parent);

/// A feature in words, by its tag: "swsh" is "swashes".
[[nodiscard]] QString feature_name(const std::string& tag);

}  // namespace dotlane
