#include "cli/library.hpp"

#include <algorithm>
#include <filesystem>

#include "cli/input.hpp"
#include "core/format/files.hpp"
#include "core/library/look_through.hpp"
#include "core/places.hpp"
#include "core/shape/clip.hpp"
#include "core/shape/evaluate.hpp"
#include "core/text_scan.hpp"
#include "render/job_export.hpp"
#include "render/project_picture.hpp"
#include "words/sentences.hpp"

namespace dotlane::cli {
namespace {

std::string size_words(Vec size) { return rounded_text(size.x, 1) + " x " + rounded_text(size.y, 1) + " mm"; }

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
    if (error) refuse("is no folder that can be looked through; name another after --in", folder);
    for (auto& path : projects_below(whole.string())) files.push_back(std::move(path));
  }
  need(bring_up_to_date(index, files));
  Json out = Json::array();
  std::string text;
  for (const auto& found : need(index.find(query_from(asked)))) {
    Json pieces = Json::array();
    text += found.glance.name + ", " +
            (found.trouble ? "cannot be read: " + sentence(*found.trouble) : size_words(found.glance.size_mm)) + "  " +
            found.path + "\n";
    for (const auto& piece : found.glance.pieces) {
      const bool hit = std::find(found.hits.begin(), found.hits.end(), piece.id) != found.hits.end();
      pieces.push_back({{"id", piece.id},
                        {"name", piece.name},
                        {"kind", piece.kind},
                        {"words", piece.words},
                        {"stock", piece.stock},
                        {"size_mm", size_of(piece.size_mm)},
                        {"found", hit}});
      if (hit) text += "  " + std::to_string(piece.id) + "  " + piece.name + ", " + size_words(piece.size_mm) + "\n";
    }
    out.push_back({{"path", found.path},
                   {"name", found.glance.name},
                   {"size_mm", size_of(found.glance.size_mm)},
                   {"stocks", found.stocks},
                   {"trouble", found.trouble ? sentence(*found.trouble) : std::string()},
                   {"pieces", pieces}});
  }
  json ? print_json(out) : print(text.empty() ? "no project has all of that in it\n" : text);
  return 0;
}

int bring(Options o, bool) {
  const auto source = o.value("--from"), out = o.value("-o");
  const auto wanted = o.values("--piece");
  Project project = load(o.positional("the project")).project;
  o.finish();
  if (!source) refuse("--from Q.dotlane is missing");
  if (wanted.empty()) refuse("--piece is missing; dot-lane-cli inspect lists the pieces of a project");
  if (!out) refuse("-o P2.dotlane is missing");
  const Project other = load(*source).project;
  std::vector<int> ids;
  for (const auto& want : wanted) {
    const auto number = to_integer(want);
    const auto at = std::find_if(other.pieces.begin(), other.pieces.end(), [&](const auto& piece) {
      return number ? piece->id == *number : lower_case(piece->name) == lower_case(want);
    });
    if (at == other.pieces.end()) refuse("has no piece \"" + want + "\"", *source);
    ids.push_back((*at)->id);
  }
  DrawingCache cache;
  need(save_project(brought_over(std::move(project), other, evaluate(other, cache), ids), *out));
  return 0;
}

int thumbnail(Options o, bool json) {
  const auto out = o.value("-o");
  const double size = o.number("--size", 256);
  const std::string file = o.positional("the project");
  o.finish();
  if (!out) refuse("-o FILE.png is missing");
  if (!(size >= 16 && size <= 4096)) refuse("--size is from 16 to 4096 pixels");
  const Input input = load(file);
  DrawingCache cache;
  const int side = static_cast<int>(size);
  need(write_png(project_picture(input.project, evaluate(input.project, cache), {side, side}), *out));
  if (json) print_json({{"file", *out}, {"pixels", side}});
  return 0;
}

}  // namespace dotlane::cli
