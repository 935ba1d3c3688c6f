// What dot-lane-simcutter and its client say to each other: one JSON object a line over a local socket.
//
// client: {"op":"start","job":"a name","part":1,"machine":{...},"holders":["pen-black",""],"scale":1,
//          "printed":[{"sheet":2,"mat":1,"placement":[a,b,c,d,e,f],"dots":[x,y,...],"art":[[x,y,...],...]}],
//          "physics":{"seed":1,"landing_mm":0,"tools":{"fine-blade":{"trail_mm":0.5,"x":0,"y":0,"inks":false,
//          "edge":true,"width_mm":0.3,"lasts_mm":0}},"faults":[{"kind":"slip","at_s":12.5}],"reached":[a,b,c,d,e,f],
//          "stock":[{"mat":1,"box":[x0,y0,x1,y1],"force_gf":120,"depth":3}]}}   then, never more than the window ahead,
//         {"op":"data","at":0,"text":"PU0,0;...","crc":123} ... {"op":"end"}      at: bytes from the stream's beginning
//         {"op":"recall"}   all marks of this job so far, as progress
//         {"op":"loaded","holders":[...]}  {"op":"hold"}  {"op":"resume"}  {"op":"cancel"}  {"op":"scale","scale":8}
// cutter: {"ev":"ready","window":65536,"job":"a name","part":1,"done":1200,"run_mm":3.5,"seconds":61.2}   what it was
// on
//         {"ev":"credit","bytes":4096}   {"ev":"again","at":4096}   what came was damaged: send it again from there
//         {"ev":"progress","x":1.5,"y":2,"down":true,"seconds":3.2,"tool":"pen-black","mat":1,"done":900,"run_mm":0,
//          "marks":[{"tool":"pen-black","mat":1,"strength":1,"width_mm":0.3,"part":1,"at":900,"mm":[0,3.5],"points":[x,y,x,y,...]}]}
//         {"ev":"marks","sheet":2,"mat":1,"map":[a,b,c,d,e,f],"residual_mm":0.01}
//         {"ev":"pause","number":1,"mat":1,"holders":[...]}   {"ev":"wrong-load","problem":{"code":...}}
//         {"ev":"end","outcome":"done","problem":{"code":"","figures":{}},"pauses":1,"seconds":61.2,"marked_mm":{"pen-black":812.5}}
// A problem is a code with its figures (core/format/said_json.hpp); whoever hears it makes the sentence.
// Positions are mm on the mat. `bytes` counts bytes of the job's text.
#pragma once

#include <nlohmann/json.hpp>

#include "core/job/job.hpp"
#include "core/job/physics.hpp"
#include "core/job/run_record.hpp"

namespace dotlane::wire {

using Json = nlohmann::json;

inline constexpr std::size_t kWindow = 64 * 1024;

[[nodiscard]] Json from_machine(const Machine& machine);
[[nodiscard]] Machine to_machine(const Json& json);
[[nodiscard]] Json from_marks(const std::vector<Mark>& marks);
[[nodiscard]] std::vector<Mark> to_marks(const Json& json);

[[nodiscard]] Json from_physics(const Physics& physics);
[[nodiscard]] Physics to_physics(const Json& json);

[[nodiscard]] Json from_printed(const std::vector<PrintedSheet>& printed);
[[nodiscard]] std::vector<PrintedSheet> to_printed(const Json& json);
[[nodiscard]] Json from_registration(const Registration& registration);
[[nodiscard]] Registration to_registration(const Json& json);

/// One message as a line, newline included.
[[nodiscard]] std::string line_of(const Json& message);

}  // namespace dotlane::wire
