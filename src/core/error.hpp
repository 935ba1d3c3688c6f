// The one error value of the core and the result type that carries it.
#pragma once

#include <string>
#include <tl/expected.hpp>
#include <utility>

#include "core/said.hpp"

namespace dotlane {

enum class ErrorKind {
  unreadable,   ///< the file cannot be opened, read or written
  malformed,    ///< the contents break the rules of the format
  unsupported,  ///< well formed, but beyond what Dot Lane takes
  bad_request,  ///< the caller asked for something that does not exist or makes no sense
};

/// What went wrong and what to do about it, and where: `place` names the file, with the line or the field.
struct Error {
  ErrorKind kind = ErrorKind::malformed;
  Said said;  ///< a code with its figures; sentence() in src/words makes a line of it
  std::string place;
};

template <class T>
using Result = tl::expected<T, Error>;

[[nodiscard]] inline tl::unexpected<Error> fail(ErrorKind kind, Said said, std::string place = {}) {
  return tl::unexpected<Error>(Error{kind, std::move(said), std::move(place)});
}

}  // namespace dotlane
