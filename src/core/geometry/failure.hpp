// A kernel that could not do its work: never to be taken for an empty shape.
#pragma once

#include <stdexcept>

namespace dotlane {

struct GeometryFailure : std::runtime_error {
  using std::runtime_error::runtime_error;
};

}  // namespace dotlane
