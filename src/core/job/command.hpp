// What a stream asks of a cutter, whatever language it is written in.
#pragma once

#include <memory>
#include <string>
#include <string_view>
#include <vector>

#include "core/error.hpp"
#include "core/geometry/vec.hpp"

namespace dotlane {

struct Command {
  enum class Kind {
    nothing,  ///< it changes nothing that the simulated cutter has
    up,       ///< lifts the tool and moves on through the points
    down,     ///< lowers it, or leaves it down, and moves on through the points
    select,   ///< the holder `number`; 0: none
    speed,    ///< of what follows with the tool down: `number`, mm/s
    force,    ///< `number`, gf
    note,     ///< `text`: a marker of Dot Lane's, or a remark
    fault,    ///< it cannot be carried out: `why`
  };
  Kind kind = Kind::nothing;
  std::vector<Vec> points{};  ///< mm on the mat, y down
  double number = 0;
  std::string text{};
  Said why{};
  std::size_t bytes = 0;  ///< how much of the stream it took
};

/// Cuts a stream that arrives in pieces into commands.
class StreamReader {
 public:
  virtual ~StreamReader() = default;
  /// Appends what is complete to `out`; the rest waits for more. Errors name the place.
  virtual Result<void> feed(std::string_view bytes, std::vector<Command>& out) = 0;
  /// The stream is complete: a last line without its end counts. Errors name what is missing.
  virtual Result<void> end(std::vector<Command>& out) = 0;
};

}  // namespace dotlane
