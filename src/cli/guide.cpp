#include "cli/guide.hpp"

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "render/guide.hpp"

namespace dotlane::cli {

int guide(Options o, bool json) {
  const auto out = o.value("-o");
  const bool from_top = o.flag("--top-first"), poster = o.flag("--poster");
  const auto size = o.value("--paper");
  const Input input = load(o.positional("use-no-project"));
  o.finish();
  Paper paper = paper_for(input.project.unit);
  if (size) {
    const auto [width, height] = size_from("--paper", *size);
    if (std::min(width, height) < 90 || std::max(width, height) > 2000) refuse({"use-paper", {{"text", *size}}});
    paper = {width, height};
  }
  const std::string& file = given(out, "-o FILE.pdf|FOLDER");
  const bool top_first = from_top || input.project.laying.top_first;
  const auto app = application();
  DrawingCache cache;
  const Derived derived = derive(input.project, cache);
  const AssemblyGuide pages(input.project, derived, top_first);
  const auto steps = assembly_of(derived.drawing, derived.layout, top_first);
  if (steps.empty()) refuse({"use-nothing-to-join"});
  if (poster) {
    if (!ends_with(file, ".pdf")) refuse({"use-poster-ending"});
    need(write_poster_pdf(pages, input.project.name, file, paper));
    const auto [across, down] = poster_pages(pages.figure(), paper);
    json ? print_json({{"pages_across", across}, {"pages_down", down}, {"overlap_mm", kPosterOverlap}})
         : print(say("wrote-poster", {{"file", file}, {"across", figure(across)}, {"down", figure(down)}}));
    return 0;
  }
  if (ends_with(file, ".pdf")) {
    need(write_guide_pdf(pages, input.project.name, file, paper));
  } else {
    need(write_guide_folder(pages, input.project.name, file));
  }
  Json list = Json::array();
  std::size_t parts = 0;
  for (const auto& step : steps) {
    Json of_step = Json::array();
    for (const std::size_t part : step.parts) {
      of_step.push_back({{"number", derived.layout.parts[part].number},
                         {"name", derived.layout.parts[part].name},
                         {"sheets", sheets_with(derived.layout, part)}});
    }
    parts += step.parts.size();
    list.push_back({{"piece", step.piece}, {"name", step.name}, {"in_tiles", step.in_tiles}, {"parts", of_step}});
  }
  json ? print_json({{"pages", pages.pages().size()}, {"steps", std::move(list)}})
       : print(say("wrote-guide", {{"file", file},
                                   {"pages", figure(pages.pages().size())},
                                   {"steps", figure(steps.size())},
                                   {"parts", figure(parts)}}));
  return 0;
}

}  // namespace dotlane::cli
