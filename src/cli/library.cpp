#include "cli/library.hpp"

#include <algorithm>
#include <filesystem>

#include "cli/input.hpp"
#include "cli/say.hpp"
#include "core/format/files.hpp"
#include "core/library/look_through.hpp"
#include "core/places.hpp"
#include "core/shape/clip.hpp"
#include "core/shape/evaluate.hpp"
#include "core/text_scan.hpp"
#include "render/job_export.hpp"
#include "render/project_picture.hpp"
#include "words/sentences.hpp"
#include "words/usage.hpp"

namespace dotlane::cli {
namespace {

Json size_of(Vec size) { return {round4(size.x), round4(size.y)}; }

}  // namespace

int projects(Options o, bool json) {
  const auto folders = o.values("--in");
  std::string asked;
  while (const auto word = o.optional_positional()) asked += (asked.empty() ? "" : " ") + *word;
  o.finish();
  ProjectIndex index = need(ProjectIndex::open(project_index_path()));
  std::vector<std::string> files;
  for (const auto& folder : folders) {
    std::error_code error;
    const auto whole = std::filesystem::canonical(folder, error);
    if (error) refuse({"use-no-folder"}, folder);
    for (auto& path : projects_below(whole.string())) files.push_back(std::move(path));
  }
  need(bring_up_to_date(index, files));
  Json out = Json::array();
  std::string text;
  for (const auto& found : need(index.find(query_from(asked)))) {
    Json pieces = Json::array();
    text += found.trouble ? say("project-unread",
                                {{"name", found.glance.name}, {"why", sentence(*found.trouble)}, {"path", found.path}})
                          : say("project-found", {{"name", found.glance.name},
                                                  {"width", found.glance.size_mm.x},
                                                  {"height", found.glance.size_mm.y},
                                                  {"path", found.path}});
    for (const auto& piece : found.glance.pieces) {
      const bool hit = std::find(found.hits.begin(), found.hits.end(), piece.id) != found.hits.end();
      pieces.push_back({{"id", piece.id},
                        {"name", piece.name},
                        {"kind", piece.kind},
                        {"words", piece.words},
                        {"stock", piece.stock},
                        {"size_mm", size_of(piece.size_mm)},
                        {"found", hit}});
      if (hit)
        text += "  " + say("piece-found", {{"piece", figure(piece.id)},
                                           {"name", piece.name},
                                           {"width", piece.size_mm.x},
                                           {"height", piece.size_mm.y}});
    }
    out.push_back({{"path", found.path},
                   {"name", found.glance.name},
                   {"size_mm", size_of(found.glance.size_mm)},
                   {"stocks", found.stocks},
                   {"trouble", found.trouble ? sentence(*found.trouble) : std::string()},
                   {"pieces", pieces}});
  }
  json ? print_json(out) : print(text.empty() ? say("no-project-found") : text);
  return 0;
}

int bring(Options o, bool) {
  const auto source = o.value("--from"), out = o.value("-o");
  const auto wanted = o.values("--piece");
  Project project = load(o.positional("use-no-project")).project;
  o.finish();
  const std::string& from = given(source, "--from P2.dotlane");
  if (wanted.empty()) refuse({"use-missing", {{"option", usage("--piece ID|NAME")}}});
  const std::string& file = given(out, "-o P3.dotlane");
  const Project other = load(from).project;
  std::vector<int> ids;
  for (const auto& want : wanted) {
    const auto number = to_integer(want);
    const auto at = std::find_if(other.pieces.begin(), other.pieces.end(), [&](const auto& piece) {
      return number ? piece->id == *number : lower_case(piece->name) == lower_case(want);
    });
    if (at == other.pieces.end()) refuse({"use-no-piece", {{"piece", want}}}, from);
    ids.push_back((*at)->id);
  }
  DrawingCache cache;
  need(save_project(brought_over(std::move(project), other, evaluate(other, cache), ids), file));
  return 0;
}

int thumbnail(Options o, bool json) {
  const auto out = o.value("-o");
  const double size = number_within(o, "--size", 16, 4096).value_or(256);
  const std::string file = o.positional("use-no-project");
  o.finish();
  const std::string& picture = given(out, "-o FILE.png");
  const Input input = load(file);
  DrawingCache cache;
  const int side = static_cast<int>(size);
  need(write_png(project_picture(input.project, evaluate(input.project, cache), {side, side}), picture));
  if (json) print_json({{"file", picture}, {"pixels", side}});
  return 0;
}

}  // namespace dotlane::cli
