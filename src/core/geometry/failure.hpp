// A kernel that could not do its work: never to be taken for an empty shape.
#pragma once

#include <stdexcept>

namespace dotlane {

/// Its what() is the code of what there is to say (see core/said.hpp).
struct GeometryFailure : std::runtime_error {
  using std::runtime_error::runtime_error;
};

}  // namespace dotlane
