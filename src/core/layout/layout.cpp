#include "core/layout/layout.hpp"

#include <algorithm>
#include <cmath>
#include <map>
#include <set>

#include "core/layout/fill_anew.hpp"
#include "core/layout/numbers.hpp"

namespace dotlane {
namespace {

Affine through_window(const Sheet& sheet) {
  return Affine::move(sheet.area.x0 - sheet.window.x, sheet.area.y0 - sheet.window.y);
}

double shared_area(const Box& a, const Box& b) {
  const Box both = common(a, b);
  return both.empty() ? -1 : both.width() * both.height();  // a line without an area still meets a window
}

/// For each contour of each line of a piece.
using Numbers = std::vector<std::vector<std::size_t>>;
constexpr std::size_t kElsewhere = npos - 1;

Numbers numbers_for(const DrawnPiece& piece, std::size_t number) {
  Numbers out;
  for (const auto& line : piece.flat->lines) out.emplace_back(line.polylines->size(), number);
  return out;
}

/// The contours of the path that are not elsewhere.
template <class T>
std::vector<T> here(const std::vector<T>& contours, const std::vector<std::size_t>& numbers) {
  std::vector<T> out;
  for (std::size_t c = 0; c < contours.size(); ++c) {
    if (numbers[c] != kElsewhere) out.push_back(contours[c]);
  }
  return out;
}

/// Of a part that is turned, the strokes of fills as they are to lie on the mat.
std::optional<std::vector<FilledAnew>> fill_as_it_lies(const DrawnPiece& piece, const Numbers& numbers,
                                                       const Affine& map) {
  if (std::abs(std::remainder(turn_of(map), 360)) < 1e-9 || !follows_the_mat(piece)) return std::nullopt;
  std::vector<std::vector<bool>> there;
  for (const auto& line : numbers) {
    auto& row = there.emplace_back();
    for (const std::size_t n : line) row.push_back(n != kElsewhere);
  }
  return filled_anew(piece, there, turn_of(map));
}

/// Puts these strokes in the place of those of the part `laid`.
void replace_strokes(const std::vector<FilledAnew>& anew, std::size_t laid, DrawnPiece& drawn, Numbers& numbers) {
  auto flat = std::make_shared<FlatPiece>(*drawn.flat);
  drawn.piece.edit([&](Piece& p) {
    for (const auto& line : anew) {
      p.lines[line.line].path = line.path;
      flat->lines[line.line] = {line.polylines, {}, line.bounds};
      numbers[line.line].assign(line.polylines->size(), laid);
    }
  });
  flat->segments = 0, flat->bounds = {};
  for (const auto& line : flat->lines) {
    for (const auto& polyline : *line.polylines) flat->segments += std::max<std::size_t>(polyline.points.size(), 2) - 1;
    flat->bounds.add(line.bounds);
  }
  drawn.flat = std::move(flat);
}

/// `laid`: the one part that lies there, or npos where several do, as drawn.
LaidPiece laid_piece(const std::shared_ptr<const DrawnPiece>& piece, std::size_t layer, Numbers numbers,
                     const Affine& map, std::size_t laid) {
  const bool whole = std::all_of(numbers.begin(), numbers.end(), [](const auto& line) {
    return std::find(line.begin(), line.end(), kElsewhere) == line.end();
  });
  LaidPiece out{piece, layer, nullptr};
  if (!whole || !(map == Affine{})) {
    auto drawn = std::make_shared<DrawnPiece>(*piece);
    drawn->map = map * drawn->map;
    const auto anew = laid == npos ? std::nullopt : fill_as_it_lies(*piece, numbers, map);
    if (!whole) {
      auto flat = std::make_shared<FlatPiece>();
      const Shared<Path> no_path;
      const Shared<std::vector<Polyline>> nothing;
      drawn->piece.edit([&](Piece& p) {
        for (std::size_t l = 0; l < p.lines.size(); ++l) {
          FlatLine& line = flat->lines.emplace_back(piece->flat->lines[l]);
          const auto elsewhere = std::count(numbers[l].begin(), numbers[l].end(), kElsewhere);
          if (elsewhere == static_cast<std::ptrdiff_t>(numbers[l].size())) {
            p.lines[l].path = no_path;
            line = {nothing, {}, {}};
          } else if (elsewhere > 0) {
            p.lines[l].path.edit([&](Path& path) { path.contours = here(path.contours, numbers[l]); });
            line.polylines = here(*line.polylines, numbers[l]);
            line.bounds = {};
            for (const auto& polyline : *line.polylines) {
              for (const Vec q : polyline.points) line.bounds.add(line.at(q));
            }
          }
          for (const auto& polyline : *line.polylines)
            flat->segments += std::max<std::size_t>(polyline.points.size(), 2) - 1;
          flat->bounds.add(line.bounds);
        }
      });
      drawn->flat = std::move(flat);
      for (auto& line : numbers) std::erase(line, kElsewhere);
    }
    out.filled_anew = anew.has_value();
    if (anew) replace_strokes(*anew, laid, *drawn, numbers);
    find_bounds(*drawn);
    out.drawn = std::move(drawn);
  }
  out.laid = std::make_shared<const Numbers>(std::move(numbers));
  return out;
}

class Laying {
 public:
  Laying(const Project& project, const Drawing& drawing) : project_(project), drawing_(drawing) {
    out_.parts = parts_of(project, drawing);
    place_parts();
    find_contours();
    for (const auto& sheet : project.sheets) out_.sheets.push_back({sheet, pieces_on(sheet)});
    std::stable_sort(out_.sheets.begin(), out_.sheets.end(),
                     [](const LaidSheet& a, const LaidSheet& b) { return a.sheet.load < b.sheet.load; });
  }
  Layout take() { return std::move(out_); }

 private:
  /// The sheet that shows most of what has these bounds; the first where none shows anything.
  const Sheet* seen_on(const Box& bounds, const std::string& stock) const {
    const Sheet* best = nullptr;
    double most = 0;
    for (const auto& sheet : project_.sheets) {
      if (sheet.stock != stock) continue;
      const double area = shared_area(sheet.seen(), bounds);
      if (!best || area > most) best = &sheet, most = area;
    }
    return best;
  }

  bool as_drawn(const std::string& stock) const {
    const Stock* known = find_stock(project_, stock);
    return !known || known->laid_out == LaidOut::as_drawn;
  }

  LaidPart lay(std::size_t number, const PartRecord* record, int copy) const {
    const Part& part = out_.parts[number];
    LaidPart out;
    out.part = number, out.copy = copy;
    const auto says = [&](const std::vector<int>& copies) {
      return std::find(copies.begin(), copies.end(), copy) != copies.end();
    };
    out.not_now = record && says(record->not_now), out.in_place = record && says(record->in_place);
    const Place* place = nullptr;
    if (record) {
      for (const auto& p : record->places) {
        if (p.copy == copy) place = &p;
      }
    }
    if (place && place->sheet == 0) return out;
    const Sheet* sheet = place ? find_sheet(project_, place->sheet) : nullptr;
    if (sheet && sheet->stock == part.stock) {
      out.sheet = sheet->id, out.map = map_of(drawing_, part, *place, *sheet), out.pinned = place->pinned;
    } else if (copy == 1 && as_drawn(part.stock)) {
      if ((sheet = seen_on(part.reach, part.stock)))
        out.sheet = sheet->id, out.map = through_window(*sheet), out.drawn = true;
    } else {
      sheet = nullptr;
    }
    out.not_now = out.not_now || (sheet && sheet->not_now);
    return out;
  }

  void place_parts() {
    out_.records = match(drawing_, out_.parts, project_.parts);
    for (std::size_t i = 0; i < out_.parts.size(); ++i) {
      const PartRecord* known = out_.records[i] == npos ? nullptr : &project_.parts[out_.records[i]];
      for (int copy = 1; copy <= (known ? known->copies : 1); ++copy) out_.laid.push_back(lay(i, known, copy));
    }
  }

  /// Which part each contour belongs to, and on which sheet a piece has what belongs to none.
  void find_contours() {
    for (const auto& piece : drawing_.pieces) first_laid_[piece->piece->id] = numbers_for(*piece, npos);
    std::set<int> has_parts;
    for (std::size_t k = 0; k < out_.laid.size(); ++k) {
      const LaidPart& laid = out_.laid[k];
      if (laid.copy != 1) continue;
      const Part& part = out_.parts[laid.part];
      const auto take = [&](const PartLine& at) {
        first_laid_[at.piece][at.line][at.contour] = k;
        has_parts.insert(at.piece);
        if (laid.drawn) home_.emplace(at.piece, laid.sheet);
      };
      for (const auto& at : part.lines) take(at);
      for (const auto& at : part.guides) take(at);
      take(part.first);  // a blank's outline is not among its lines
    }
    for (const auto& piece : drawing_.pieces) {
      const std::string& stock = piece->piece->stock;
      if (has_parts.contains(piece->piece->id) || !as_drawn(stock)) continue;
      if (const Sheet* sheet = seen_on(piece->bounds, stock)) home_.emplace(piece->piece->id, sheet->id);
    }
  }

  std::vector<LaidPiece> pieces_on(const Sheet& sheet) const {
    std::vector<LaidPiece> out;
    for (std::size_t layer = 0; layer < drawing_.pieces.size(); ++layer) {
      const auto& piece = drawing_.pieces[layer];
      if (piece->piece->stock != sheet.stock) continue;
      const Numbers nothing = numbers_for(*piece, kElsewhere);
      std::map<std::size_t, Numbers> groups;  // 0: what lies as drawn, under one map; else the laid part's number + 1
      const auto home = home_.find(piece->piece->id);
      const bool at_home = home != home_.end() && home->second == sheet.id;
      if (at_home) groups.emplace(0, nothing);
      const Numbers& first = first_laid_.at(piece->piece->id);
      for (std::size_t l = 0; l < first.size(); ++l) {
        for (std::size_t c = 0; c < first[l].size(); ++c) {
          if (first[l][c] == npos) {
            if (at_home) groups[0][l][c] = npos;
            continue;
          }
          const std::size_t part = out_.laid[first[l][c]].part;
          for (std::size_t k = first[l][c]; k < out_.laid.size() && out_.laid[k].part == part; ++k) {
            if (out_.laid[k].sheet != sheet.id) continue;
            groups.try_emplace(out_.laid[k].drawn ? 0 : k + 1, nothing).first->second[l][c] = k;
          }
        }
      }
      for (auto& [group, numbers] : groups)
        out.push_back(laid_piece(piece, layer, std::move(numbers),
                                 group == 0 ? through_window(sheet) : out_.laid[group - 1].map,
                                 group == 0 ? npos : group - 1));
    }
    return out;
  }

  const Project& project_;
  const Drawing& drawing_;
  Layout out_;
  std::map<int, Numbers> first_laid_;  // by piece: the first copy of the part that a contour belongs to
  std::map<int, int> home_;            // by piece: the sheet with those of its contours that belong to no part
};

}  // namespace

int Layout::loads() const {
  std::set<int> loads;
  for (const auto& s : sheets) loads.insert(s.sheet.load);
  return static_cast<int>(loads.size());
}

bool Layout::as_figure() const {
  const bool numbered = std::any_of(sheets.begin(), sheets.end(), [](const LaidSheet& s) {
    return !s.pieces.empty() && s.pieces.front().drawn->piece->id == kNumbersPiece;
  });
  return !numbered &&
         std::all_of(laid.begin(), laid.end(), [](const LaidPart& part) { return part.drawn && part.map == Affine{}; });
}

const Sheet* Layout::sheet(int id) const {
  for (const auto& s : sheets) {
    if (s.sheet.id == id) return &s.sheet;
  }
  return nullptr;
}

std::vector<std::size_t> Layout::moved_with(const Project& project, std::size_t k) const {
  const auto group = [&](const LaidPart& part) {
    return records[part.part] == npos ? 0 : project.parts[records[part.part]].together;
  };
  const int own = group(laid[k]);
  if (own == 0) return {k};
  std::vector<std::size_t> out;
  for (std::size_t i = 0; i < laid.size(); ++i) {
    if (i == k || (laid[i].copy == laid[k].copy && group(laid[i]) == own &&
                   parts[laid[i].part].stock == parts[laid[k].part].stock))
      out.push_back(i);
  }
  return out;
}

Box bounds_on_mat(const Layout& layout, std::size_t k) {
  const LaidPart& laid = layout.laid[k];
  const Part& part = layout.parts[laid.part];
  if (part.has_body()) return bounds_of(transformed(*part.shape, laid.map * part.at));
  const Box b = part.reach;
  Box out;
  for (const Vec corner : {Vec{b.x0, b.y0}, Vec{b.x1, b.y0}, Vec{b.x1, b.y1}, Vec{b.x0, b.y1}})
    out.add(laid.map(corner));
  return out;
}

Drawing Layout::on_mats(int load) const {
  std::vector<const LaidPiece*> there;
  for (const auto& s : sheets) {
    if (load != 0 && s.sheet.load != load) continue;
    for (const auto& piece : s.pieces) there.push_back(&piece);
  }
  std::stable_sort(there.begin(), there.end(),
                   [](const LaidPiece* a, const LaidPiece* b) { return a->layer < b->layer; });
  Drawing out;
  for (const auto* piece : there) out.pieces.push_back(piece->drawn);
  return out;
}

Layout lay_out(const Project& project, const Drawing& drawing) {
  Layout out = Laying(project, drawing).take();
  add_numbers(project, drawing, out);
  return out;
}

}  // namespace dotlane
