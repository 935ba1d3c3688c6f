#include "core/layout/lay_edit.hpp"

#include <algorithm>
#include <map>

namespace dotlane {
namespace {

/// The part's record, made where it has none yet.
PartRecord& record_in(Project& project, const Drawing& drawing, const Part& part, std::size_t& record) {
  if (record == npos) {
    record = project.parts.size();
    project.parts.push_back(record_of(drawing, part));
  }
  return project.parts[record];
}

void make_copies(PartRecord& record, int copies) {
  record.copies = std::clamp(copies, 1, kMostCopies);
  std::erase_if(record.places, [&](const Place& p) { return p.copy > record.copies; });
  for (auto* copies_of : {&record.not_now, &record.in_place})
    std::erase_if(*copies_of, [&](int copy) { return copy > record.copies; });
}

/// Notes the copies among those that their records list there, or strikes them off.
Project list_copies(Project project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& laid,
                    std::vector<int> PartRecord::*list, bool on) {
  std::vector<std::size_t> records = layout.records;
  for (const std::size_t k : laid) {
    if (k >= layout.laid.size()) continue;
    const LaidPart& part = layout.laid[k];
    auto& copies = record_in(project, drawing, layout.parts[part.part], records[part.part]).*list;
    std::erase(copies, part.copy);
    if (on) copies.insert(std::lower_bound(copies.begin(), copies.end(), part.copy), part.copy);
  }
  return project;
}

}  // namespace

Project set_place(Project project, const Drawing& drawing, const Part& part, std::size_t& record, Place place) {
  auto& places = record_in(project, drawing, part, record).places;
  const auto same = std::find_if(places.begin(), places.end(), [&](const Place& p) { return p.copy == place.copy; });
  if (same != places.end()) {
    place.unknown = same->unknown;
    *same = std::move(place);
  } else {
    places.push_back(std::move(place));
  }
  return project;
}

Project set_place(Project project, const Drawing& drawing, const Layout& layout, std::size_t part, Place place) {
  if (part >= layout.parts.size()) return project;
  std::size_t record = layout.records[part];
  return set_place(std::move(project), drawing, layout.parts[part], record, std::move(place));
}

Project clear_place(Project project, const Layout& layout, std::size_t part, int copy) {
  if (part >= layout.parts.size() || layout.records[part] == npos) return project;
  std::erase_if(project.parts[layout.records[part]].places, [&](const Place& p) { return p.copy == copy; });
  return project;
}

Project lay_parts(Project project, const Drawing& drawing, const Layout& layout, const std::vector<Put>& puts) {
  std::vector<std::size_t> records = layout.records;
  for (const auto& put : puts) {
    const Sheet* sheet = find_sheet(project, put.sheet);
    if (put.laid >= layout.laid.size() || !sheet) continue;
    const LaidPart& laid = layout.laid[put.laid];
    Place place = place_of(drawing, layout.parts[laid.part], put.map, *sheet);
    place.copy = laid.copy, place.pinned = laid.pinned;
    project = set_place(std::move(project), drawing, layout.parts[laid.part], records[laid.part], std::move(place));
  }
  return project;
}

std::vector<Put> turned(const Layout& layout, const std::vector<std::size_t>& laid, double degrees) {
  std::map<int, std::vector<std::size_t>> by_sheet;
  for (const std::size_t k : laid) {
    if (layout.laid[k].sheet != 0) by_sheet[layout.laid[k].sheet].push_back(k);
  }
  std::vector<Put> out;
  for (const auto& [sheet, on_it] : by_sheet) {
    Box around;
    for (const std::size_t k : on_it) around.add(bounds_on_mat(layout, k));
    const LaidPart& first = layout.laid[on_it.front()];
    const Vec c = on_it.size() == 1 ? first.map(layout.parts[first.part].centre) : around.centre();
    const Affine about = Affine::move(c.x, c.y) * Affine::rotate(-degrees) * Affine::move(-c.x, -c.y);
    for (const std::size_t k : on_it) out.push_back({k, sheet, about * layout.laid[k].map});
  }
  return out;
}

Project let_wait(Project project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& laid) {
  std::vector<std::size_t> records = layout.records;
  for (const std::size_t k : laid) {
    Place place;
    place.copy = layout.laid[k].copy;
    const std::size_t part = layout.laid[k].part;
    project = set_place(std::move(project), drawing, layout.parts[part], records[part], std::move(place));
  }
  return project;
}

Project pin_parts(Project project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& laid,
                  bool pinned) {
  std::vector<std::size_t> records = layout.records;
  for (const std::size_t k : laid) {
    const LaidPart& part = layout.laid[k];
    const Sheet* sheet = find_sheet(project, part.sheet);
    if (!sheet) continue;  // what waits lies nowhere
    Place place = place_of(drawing, layout.parts[part.part], part.map, *sheet);
    place.copy = part.copy, place.pinned = pinned;
    project = set_place(std::move(project), drawing, layout.parts[part.part], records[part.part], std::move(place));
  }
  return project;
}

Project set_not_now(Project project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& laid,
                    bool not_now) {
  return list_copies(std::move(project), drawing, layout, laid, &PartRecord::not_now, not_now);
}

Project set_in_place(Project project, const Drawing& drawing, const Layout& layout,
                     const std::vector<std::size_t>& laid, bool in_place) {
  return list_copies(std::move(project), drawing, layout, laid, &PartRecord::in_place, in_place);
}

Project set_sheet_not_now(Project project, int sheet, bool not_now) {
  for (auto& s : project.sheets) {
    if (s.id == sheet) s.not_now = not_now;
  }
  return project;
}

Project set_pass_not_now(Project project, const std::string& key, bool not_now) {
  std::erase(project.plan.not_now, key);
  if (not_now) project.plan.not_now.push_back(key);
  return project;
}

Project set_role_not_now(Project project, Role role, bool not_now) {
  std::erase(project.plan.roles_not_now, role);
  if (not_now) project.plan.roles_not_now.push_back(role);
  return project;
}

Project run_everything(Project project) {
  for (auto& record : project.parts) record.not_now.clear();
  for (auto& sheet : project.sheets) sheet.not_now = false;
  project.plan.not_now.clear();
  project.plan.roles_not_now.clear();
  for (auto& piece : project.pieces) {
    if (piece->not_now) piece.edit([](Piece& p) { p.not_now = false; });
  }
  return project;
}

Project keep_together(Project project, const Drawing& drawing, const Layout& layout,
                      const std::vector<std::size_t>& parts, bool together) {
  int next = 0;
  for (const auto& record : project.parts) next = std::max(next, record.together);
  std::map<std::string, int> number;  // by stock
  std::vector<std::size_t> records = layout.records;
  for (const std::size_t i : parts) {
    const Part& part = layout.parts[i];
    const auto known = number.find(part.stock);
    const int group = !together ? 0 : known != number.end() ? known->second : number[part.stock] = ++next;
    record_in(project, drawing, part, records[i]).together = group;
  }
  return project;
}

Project set_copies(Project project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& parts,
                   int copies) {
  std::vector<std::size_t> records = layout.records;
  for (const std::size_t i : parts) {
    if (i < layout.parts.size()) make_copies(record_in(project, drawing, layout.parts[i], records[i]), copies);
  }
  return project;
}

Project lay_as_drawn(Project project) {
  for (auto& stock : project.stocks) stock.laid_out = LaidOut::as_drawn;
  for (auto& record : project.parts) {
    std::erase_if(record.places, [](const Place& p) { return !p.pinned; });
    record.copies = 1;
    for (const auto& place : record.places) record.copies = std::max(record.copies, place.copy);
  }
  std::erase_if(project.parts, [](const PartRecord& r) {
    return r.places.empty() && r.together == 0 && r.not_now.empty() && r.in_place.empty() && r.unknown.empty();
  });
  return project;
}

}  // namespace dotlane
