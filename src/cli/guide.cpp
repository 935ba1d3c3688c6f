#include "cli/guide.hpp"

#include "cli/input.hpp"
#include "render/guide.hpp"

namespace dotlane::cli {

int guide(Options o, bool json) {
  const auto out = o.value("-o");
  const bool from_top = o.flag("--top-first"), poster = o.flag("--poster");
  const auto size = o.value("--paper");
  const Input input = load(o.positional("the project"));
  o.finish();
  Paper paper = paper_for(input.project.unit);
  if (size) {
    const auto [width, height] = size_from("--paper", *size);
    if (std::min(width, height) < 90 || std::max(width, height) > 2000) refuse("--paper is from 90 to 2000 mm a side");
    paper = {width, height};
  }
  if (!out) refuse("-o FILE.pdf, or a folder, is missing");
  const bool top_first = from_top || input.project.laying.top_first;
  const auto app = application();
  DrawingCache cache;
  const Derived derived = derive(input.project, cache);
  const AssemblyGuide pages(input.project, derived, top_first);
  const auto steps = assembly_of(derived.drawing, derived.layout, top_first);
  if (steps.empty()) refuse("there is no part that is cut out, and so nothing to put together");
  if (poster) {
    if (!ends_with(*out, ".pdf")) refuse("a poster is written to a .pdf");
    need(write_poster_pdf(pages, input.project.name, *out, paper));
    const auto [across, down] = poster_pages(pages.figure(), paper);
    json
        ? print_json({{"pages_across", across}, {"pages_down", down}, {"overlap_mm", kPosterOverlap}})
        : print("Wrote " + *out + ": " + std::to_string(across) + " pages across, " + std::to_string(down) + " down\n");
    return 0;
  }
  if (ends_with(*out, ".pdf")) {
    need(write_guide_pdf(pages, input.project.name, *out, paper));
  } else {
    need(write_guide_folder(pages, input.project.name, *out));
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
       : print("Wrote " + *out + ": " + std::to_string(pages.pages().size()) + " pages, " +
               std::to_string(steps.size()) + " steps, " + std::to_string(parts) + " parts\n");
  return 0;
}

}  // namespace dotlane::cli
