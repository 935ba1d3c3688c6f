#include "core/project/arrange.hpp"

#include <algorithm>
#include <map>
#include <optional>
#include <set>

#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

std::string group_prefix(const std::string& a, const std::string& b) {
  // The groups both are in, outermost first.
  std::string out;
  const auto as = split(a, '/'), bs = split(b, '/');
  for (std::size_t i = 0; i < std::min(as.size(), bs.size()) && trimmed(as[i]) == trimmed(bs[i]); ++i) {
    if (trimmed(as[i]).empty()) break;
    out += (out.empty() ? "" : " / ") + std::string(trimmed(as[i]));
  }
  return out;
}

/// The groups of a piece one level below `within`; empty when it is in none there.
std::string group_below(const std::string& group, const std::string& within) {
  if (!within.empty() && group != within && !group.starts_with(within + " / ")) return {};
  const std::size_t from = within.empty() ? 0 : within.size() + 3;
  if (group.size() <= from) return {};
  const auto end = group.find(" / ", from);
  return group.substr(0, end);
}

bool is_in(const Piece& piece, const std::string& group) {
  return piece.group == group || piece.group.starts_with(group + " / ");
}

/// The name without what would make two of it, with a number where a group there has it already.
std::string free_name(const Project& project, const std::string& outer, std::string name) {
  std::replace(name.begin(), name.end(), '/', '-');
  const auto taken = [&](const std::string& group) {
    return std::any_of(project.pieces.begin(), project.pieces.end(),
                       [&](const Shared<Piece>& p) { return is_in(*p, group); });
  };
  if (!taken(outer + name)) return name;
  int n = 2;
  while (taken(outer + name + " " + std::to_string(n))) ++n;
  return name + " " + std::to_string(n);
}

}  // namespace

std::string outermost_group(const std::string& group) { return group_below(group, ""); }

std::vector<int> pieces_in(const Project& project, const std::string& group) {
  std::vector<int> out;
  for (const auto& piece : project.pieces) {
    if (is_in(*piece, group)) out.push_back(piece->id);
  }
  return out;
}

Project rename_group(Project project, const std::string& group, const std::string& name) {
  if (group.empty() || name.empty() || name == group) return project;
  const std::string now = free_name(project, "", name);
  for (auto& piece : project.pieces) {
    if (is_in(*piece, group)) piece.edit([&](Piece& p) { p.group = now + p.group.substr(group.size()); });
  }
  return project;
}

Project group_pieces(Project project, const std::vector<int>& ids, const std::string& name) {
  std::optional<std::string> shared;
  for (const auto& piece : project.pieces) {
    if (contains(ids, piece->id)) shared = shared ? group_prefix(*shared, piece->group) : piece->group;
  }
  if (!shared || ids.size() < 2) return project;
  const std::string outer = shared->empty() ? "" : *shared + " / ";
  const std::string group = outer + free_name(project, outer, name);
  for (auto& piece : project.pieces) {
    if (!contains(ids, piece->id)) continue;
    const std::string inner = piece->group.size() > shared->size() ? piece->group.substr(outer.size()) : "";
    piece.edit([&](Piece& p) { p.group = group + (inner.empty() ? "" : " / " + inner); });
  }
  return project;
}

Project ungroup_pieces(Project project, const std::vector<int>& ids) {
  std::set<std::string> groups;
  for (const auto& piece : project.pieces) {
    if (contains(ids, piece->id) && !piece->group.empty()) groups.insert(group_below(piece->group, ""));
  }
  for (auto& piece : project.pieces) {
    for (const auto& group : groups) {
      if (!is_in(*piece, group)) continue;
      piece.edit([&](Piece& p) { p.group = p.group == group ? "" : p.group.substr(group.size() + 3); });
      break;
    }
  }
  return project;
}

std::vector<int> with_group(const Project& project, const std::vector<int>& ids, const std::string& within) {
  std::set<std::string> groups;
  for (const auto& piece : project.pieces) {
    if (contains(ids, piece->id)) groups.insert(group_below(piece->group, within));
  }
  groups.erase("");
  std::vector<int> out;
  for (const auto& piece : project.pieces) {
    if (contains(ids, piece->id) || groups.contains(group_below(piece->group, within))) out.push_back(piece->id);
  }
  return out;
}

namespace {

/// What moves as one when pieces are aligned: a group, or a piece in none.
struct Cluster {
  std::vector<int> pieces;
  Box box;
};

std::vector<Cluster> clusters_of(const Project& project, const Drawing& drawing, const std::vector<int>& ids) {
  std::map<std::string, Cluster> by_group;
  std::vector<Cluster> out;
  for (const int id : ids) {
    const Piece* piece = find_piece(project, id);
    const DrawnPiece* drawn = find_drawn(drawing, id);
    if (!piece || !drawn || drawn->bounds.empty()) continue;
    const std::string group = group_below(piece->group, "");
    if (group.empty()) {
      out.push_back({{id}, tight_bounds(*drawn)});
    } else {
      by_group[group].pieces.push_back(id);
      by_group[group].box.add(tight_bounds(*drawn));
    }
  }
  for (auto& [group, cluster] : by_group) out.push_back(std::move(cluster));
  return out;
}

}  // namespace

Project align_pieces(Project project, const Drawing& drawing, const std::vector<int>& ids, Align how) {
  const auto clusters = clusters_of(project, drawing, ids);
  Box all;
  for (const auto& c : clusters) all.add(c.box);
  for (const auto& c : clusters) {
    Vec by{};
    switch (how) {
      case Align::left:
        by.x = all.x0 - c.box.x0;
        break;
      case Align::centre:
        by.x = all.centre().x - c.box.centre().x;
        break;
      case Align::right:
        by.x = all.x1 - c.box.x1;
        break;
      case Align::top:
        by.y = all.y0 - c.box.y0;
        break;
      case Align::middle:
        by.y = all.centre().y - c.box.centre().y;
        break;
      case Align::bottom:
        by.y = all.y1 - c.box.y1;
        break;
    }
    project = move_pieces(std::move(project), c.pieces, by);
  }
  return project;
}

Project distribute_pieces(Project project, const Drawing& drawing, const std::vector<int>& ids, bool across) {
  auto clusters = clusters_of(project, drawing, ids);
  if (clusters.size() < 3) return project;
  auto low = [&](const Cluster& c) { return across ? c.box.x0 : c.box.y0; };
  auto size = [&](const Cluster& c) { return across ? c.box.width() : c.box.height(); };
  std::sort(clusters.begin(), clusters.end(),
            [&](const Cluster& a, const Cluster& b) { return low(a) + size(a) / 2 < low(b) + size(b) / 2; });
  double room = low(clusters.back()) - low(clusters.front());
  for (std::size_t i = 0; i + 1 < clusters.size(); ++i) room -= size(clusters[i]);
  const double gap = room / static_cast<double>(clusters.size() - 1);
  double at = low(clusters.front());
  for (const auto& c : clusters) {
    const double by = at - low(c);
    project = move_pieces(std::move(project), c.pieces, across ? Vec{by, 0} : Vec{0, by});
    at += size(c) + gap;
  }
  return project;
}

Project put_pieces(Project project, const std::vector<int>& ids, int above, const std::string& stock,
                   const std::optional<std::string>& group) {
  if (!find_stock(project, stock) || contains(ids, above)) return project;
  std::vector<Shared<Piece>> taken;
  for (auto& piece : project.pieces) {
    if (!contains(ids, piece->id)) continue;
    const std::string into = group.value_or(piece->group);
    if (piece->stock != stock || piece->group != into) piece.edit([&](Piece& p) { p.stock = stock, p.group = into; });
    taken.push_back(piece);
  }
  auto& pieces = project.pieces;
  std::erase_if(pieces, [&](const Shared<Piece>& p) { return contains(ids, p->id); });
  auto at = std::find_if(pieces.begin(), pieces.end(), [&](const Shared<Piece>& p) { return p->id == above; });
  if (at == pieces.end()) {
    const auto last =
        std::find_if(pieces.rbegin(), pieces.rend(), [&](const Shared<Piece>& p) { return p->stock == stock; });
    at = last.base();  // the end of the list where the stock has none
    if (last == pieces.rend()) at = pieces.end();
  }
  pieces.insert(at, taken.begin(), taken.end());
  match_sheets(project);
  return project;
}

}  // namespace dotlane
