// What dot-lane-simcutter and its client say to each other: one JSON object a line over a local socket.
//
// client: {"op":"start","machine":{...},"holders":["pen-black",""],"scale":1,
//          "printed":[{"sheet":2,"mat":1,"placement":[a,b,c,d,e,f],"dots":[x,y,...],"art":[[x,y,...],...]}]}   then,
//          never more than the window ahead,
//         {"op":"data","text":"PU0,0;..."} ... {"op":"end"}
//         {"op":"loaded","holders":[...]}  {"op":"hold"}  {"op":"resume"}  {"op":"cancel"}  {"op":"scale","scale":8}
// cutter: {"ev":"ready","window":65536}   {"ev":"credit","bytes":4096}
//         {"ev":"progress","x":1.5,"y":2,"down":true,"seconds":3.2,"tool":"pen-black","mat":1,
//          "marks":[{"tool":"pen-black","mat":1,"points":[x,y,x,y,...]}]}
//         {"ev":"marks","sheet":2,"mat":1,"map":[a,b,c,d,e,f],"residual_mm":0.01}
//         {"ev":"pause","number":1,"mat":1,"holders":[...]}   {"ev":"wrong-load","problem":"..."}
//         {"ev":"end","outcome":"done","problem":"","pauses":1,"seconds":61.2,"marked_mm":{"pen-black":812.5}}
// Positions are mm on the mat. `bytes` counts bytes of the job's text.
#pragma once

#include <nlohmann/json.hpp>

#include "core/job/job.hpp"
#include "core/job/run_record.hpp"

namespace dotlane::wire {

using Json = nlohmann::json;

inline constexpr std::size_t kWindow = 64 * 1024;

[[nodiscard]] Json from_machine(const Machine& machine);
[[nodiscard]] Machine to_machine(const Json& json);
[[nodiscard]] Json from_marks(const std::vector<Mark>& marks);
[[nodiscard]] std::vector<Mark> to_marks(const Json& json);

[[nodiscard]] Json from_printed(const std::vector<PrintedSheet>& printed);
[[nodiscard]] std::vector<PrintedSheet> to_printed(const Json& json);
[[nodiscard]] Json from_registration(const Registration& registration);
[[nodiscard]] Registration to_registration(const Json& json);

/// One message as a line, newline included.
[[nodiscard]] std::string line_of(const Json& message);

}  // namespace dotlane::wire
