// The one error value of the core and the result type that carries it.
#pragma once

#include <string>
#include <tl/expected.hpp>
#include <utility>

namespace dotlane {

enum class ErrorKind {
  unreadable,   ///< the file cannot be opened, read or written
  malformed,    ///< the contents break the rules of the format
  unsupported,  ///< well formed, but beyond what Dot Lane takes
  bad_request,  ///< the caller asked for something that does not exist or makes no sense
};

/// What went wrong, where, and what to do: `place` names the file and line, `message` the reason and the remedy.
struct Error {
  ErrorKind kind = ErrorKind::malformed;
  std::string message;
  std::string place;

  /// One line for a person: "place: message", or the message alone.
  [[nodiscard]] std::string line() const { return place.empty() ? message : place + ": " + message; }
};

template <class T>
using Result = tl::expected<T, Error>;

[[nodiscard]] inline tl::unexpected<Error> fail(ErrorKind kind, std::string message, std::string place = {}) {
  return tl::unexpected<Error>(Error{kind, std::move(message), std::move(place)});
}

}  // namespace dotlane
