// A field for one value of a step or a ready shape, of the sort its kind asks for.
#pragma once

#include <QWidget>
#include <functional>

#include "app/session.hpp"
#include "core/project/kinds.hpp"

namespace dotlane {

/// What a field may offer besides the value itself.
struct ValueContext {
  LengthUnit unit = LengthUnit::mm;
  int piece = 0;  ///< whose recipe it is
};

/// A row widget for the value: number with its unit, list of words, switch, choice of lines or of other pieces.
/// `edited` hears new values, `committed` the end of typing. Places are shown as their number; they are picked on the
/// bench.
[[nodiscard]] QWidget* make_value_field(const ValueSpec& spec, const Value& value, const ValueContext& context,
                                        Session& session, QWidget* parent, std::function<void(const Value&)> edited);

/// Shows another value in a field made above, unless the user is typing there.
void show_value(QWidget* field, const ValueSpec& spec, const Value& value, LengthUnit unit);

}  // namespace dotlane
