#include "core/shape/evaluate.hpp"

#include <algorithm>
#include <map>
#include <numbers>
#include <optional>
#include <set>

#include "core/geometry/failure.hpp"
#include "core/geometry/measure.hpp"
#include "core/shape/fill/fill_made.hpp"
#include "core/shape/line_set.hpp"
#include "core/shape/source.hpp"
#include "core/shape/steps.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kAtOnce = 1500;  // nodes times steps that are worked out without asking for time
constexpr double kFirstLook = 4000;    // strokes of a fill that are shown without asking for time

Box mapped_box(const Box& box, const Affine& map) {
  Box out;
  if (box.empty()) return out;
  for (const Vec p : {Vec{box.x0, box.y0}, Vec{box.x1, box.y0}, Vec{box.x0, box.y1}, Vec{box.x1, box.y1}})
    out.add(map(p));
  return out;
}

/// A path as polylines, with what follows from them.
struct Flattened {
  Shared<std::vector<Polyline>> polylines;
  Box bounds;
  std::size_t segments = 0;
};

Flattened flattened(const Path& path, double tolerance) {
  Flattened out;
  std::vector<Polyline> polylines;
  for (const auto& contour : path.contours) {
    polylines.push_back(flatten(contour, tolerance));
    for (const Vec p : polylines.back().points) out.bounds.add(p);
    out.segments += std::max<std::size_t>(polylines.back().points.size(), 2) - 1;  // a touch is one, too
  }
  out.polylines = std::move(polylines);
  return out;
}

/// The bounds of what the map makes of it.
Box mapped_bounds(const Flattened& flat, const Affine& map) {
  if (map == Affine{}) return flat.bounds;
  if ((map.b == 0 && map.c == 0) || (map.a == 0 && map.d == 0)) return mapped_box(flat.bounds, map);
  Box out;
  for (const auto& polyline : *flat.polylines) {
    for (const Vec p : polyline.points) out.add(map(p));
  }
  return out;
}

/// The tolerance steps by powers of two, so that resizing seldom flattens anew.
double tolerance_for(const Affine& map) {
  return kFlatness / std::exp2(std::ceil(std::log2(std::max(map.max_stretch(), 1e-9))));
}

/// Each path once, however many lines share it.
FlatPiece flatten_piece(const Piece& piece, const Affine& map) {
  FlatPiece out;
  out.lines.reserve(piece.lines.size());
  std::map<std::pair<const Path*, double>, Flattened> made;
  for (const auto& line : piece.lines) {
    const double tolerance = tolerance_for(map * line.at);
    const auto [known, fresh] = made.try_emplace({&*line.path, tolerance});
    if (fresh) known->second = flattened(*line.path, tolerance);
    out.lines.push_back({known->second.polylines, line.at, mapped_bounds(known->second, line.at)});
    out.segments += known->second.segments;
    out.bounds.add(out.lines.back().bounds);
  }
  return out;
}

/// Made lines get their roles as soon as they are there: the next step asks for them.
void give_roles(std::vector<Line>& lines, const std::map<std::string, Dress>& dress) {
  for (auto& line : lines) {
    if (const auto said = dress.find(line.id); said != dress.end() && said->second.role) line.role = *said->second.role;
  }
}

}  // namespace

/// Which pieces each piece works with, cycles left out: edges are taken in layer order, and one that would close a
/// cycle is passed over.
class PieceGraph {
 public:
  explicit PieceGraph(const Project& project) {
    for (const auto& piece : project.pieces) known_.insert(piece->id);
    for (const auto& piece : project.pieces) {
      for (const auto& step : piece->steps) {
        if (!step.on) continue;
        for (const int input : inputs_of(step)) {
          if (known_.contains(input) && !users_of_users(piece->id).contains(input)) add(piece->id, input);
        }
      }
    }
    std::vector<int> above;
    for (const auto& piece : project.pieces) {
      const bool trims = std::any_of(piece->steps.begin(), piece->steps.end(),
                                     [](const Step& s) { return s.on && works_under_all(s); });
      if (trims) {
        const auto users = users_of_users(piece->id);
        for (const int upper : above) {
          if (users.contains(upper)) continue;
          add(piece->id, upper);
          above_[piece->id].push_back(upper);
        }
      }
      if (!piece->helper) above.push_back(piece->id);
    }
  }
  [[nodiscard]] bool has(int piece, int input) const {
    const auto found = inputs_.find(piece);
    return found != inputs_.end() && found->second.contains(input);
  }
  [[nodiscard]] std::vector<int> above(int piece) const {
    const auto found = above_.find(piece);
    return found == above_.end() ? std::vector<int>{} : found->second;
  }
  /// Every piece after all that it works with.
  [[nodiscard]] std::vector<int> order() const {
    std::vector<int> out;
    std::set<int> seen;
    for (const int first : known_) {
      std::vector<std::pair<int, bool>> todo{{first, false}};
      while (!todo.empty()) {
        const auto [id, ready] = todo.back();
        todo.pop_back();
        if (ready) {
          out.push_back(id);
        } else if (seen.insert(id).second) {
          todo.push_back({id, true});
          if (const auto found = inputs_.find(id); found != inputs_.end()) {
            for (const int input : found->second) todo.push_back({input, false});
          }
        }
      }
    }
    return out;
  }

 private:
  /// The piece and everything that works with it, directly or through others.
  [[nodiscard]] std::set<int> users_of_users(int piece) const {
    std::set<int> seen{piece};
    std::vector<int> todo{piece};
    while (!todo.empty()) {
      const auto found = users_.find(todo.back());
      todo.pop_back();
      if (found == users_.end()) continue;
      for (const int user : found->second) {
        if (seen.insert(user).second) todo.push_back(user);
      }
    }
    return seen;
  }
  void add(int piece, int input) {
    inputs_[piece].insert(input);
    users_[input].insert(piece);
  }
  std::set<int> known_;
  std::map<int, std::set<int>> inputs_, users_;
  std::map<int, std::vector<int>> above_;
};

struct DrawingCache::Input {
  int piece = 0;
  std::shared_ptr<const Shaped> shaped;
  Affine map;  // its frame to the frame of the piece that uses it
  friend bool operator==(const Input&, const Input&) = default;
};

struct DrawingCache::After {
  Step step;
  std::vector<Input> inputs;
  Vec room;
  double turned = 0, thickness = 0;
  std::vector<Line> lines;
  StepOutcome outcome;
};

struct DrawingCache::Recipe {
  Source source;
  std::vector<Line> own;
  std::map<std::string, Dress> dress;
  Affine shape;
  std::vector<Line> start;  // the source's lines in the frame
  StepOutcome first;
  std::vector<After> after;
  std::shared_ptr<const Shaped> shaped;
  // As last drawn.
  std::shared_ptr<const Piece> piece;
  std::vector<Tool> tools;
  std::shared_ptr<const DrawnPiece> drawn;
};

class Evaluation {
  using Input = DrawingCache::Input;

 public:
  Evaluation(const Project& project, DrawingCache& cache, Effort effort)
      : project_(project), cache_(cache), effort_(effort), graph_(project) {}

  Drawing run() {
    // Inputs first, so that however long a chain of pieces is, none waits for another here.
    std::map<int, const Piece*> by_id;
    for (const auto& piece : project_.pieces) by_id[piece->id] = &*piece;
    for (const int id : graph_.order()) {
      if (!by_id[id]->plain()) (void)recipe_of(*by_id[id]);
    }
    Drawing out;
    out.pieces.reserve(project_.pieces.size());
    for (const auto& piece : project_.pieces)
      out.pieces.push_back(piece->plain() && !piece->helper ? plain(piece) : cooked(piece));
    std::set<int> ids;
    for (const auto& piece : project_.pieces) ids.insert(piece->id);
    const std::lock_guard lock(cache_.mutex_);
    const auto removed = [&](const auto& entry) { return !ids.contains(entry.first); };
    std::erase_if(cache_.recipes_, removed);
    std::erase_if(cache_.flat_, removed);
    std::erase_if(cache_.drawn_, [](const auto& entry) { return entry.second.piece.expired(); });
    return out;
  }

 private:
  std::shared_ptr<const FlatPiece> flat_of(const Piece& piece, const Affine& map) {
    const double tolerance = tolerance_for(map);
    std::vector<std::pair<std::shared_ptr<const Path>, Affine>> paths;
    paths.reserve(piece.lines.size());
    for (const auto& line : piece.lines) paths.emplace_back(line.path.handle(), line.at);
    {
      const std::lock_guard lock(cache_.mutex_);
      const auto made = cache_.flat_.find(piece.id);
      if (made != cache_.flat_.end() && made->second.tolerance == tolerance && made->second.paths == paths)
        return made->second.flat;
    }
    auto flat = std::make_shared<const FlatPiece>(flatten_piece(piece, map));
    const std::lock_guard lock(cache_.mutex_);
    cache_.flat_[piece.id] = {std::move(paths), tolerance, flat};
    return flat;
  }

  std::shared_ptr<DrawnPiece> drawn_of(const Shared<Piece>& piece) {
    auto drawn = std::make_shared<DrawnPiece>();
    drawn->piece = piece;
    drawn->map = piece->placement;
    drawn->flat = flat_of(*piece, piece->placement);
    find_bounds(*drawn);
    return drawn;
  }

  std::shared_ptr<const DrawnPiece> plain(const Shared<Piece>& piece) {
    {
      const std::lock_guard lock(cache_.mutex_);
      const auto known = cache_.drawn_.find(piece.handle().get());
      if (known != cache_.drawn_.end() && known->second.piece.lock() == piece.handle()) return known->second.drawn;
    }
    auto drawn = drawn_of(piece);
    const std::lock_guard lock(cache_.mutex_);
    // As many as there are, and as many again from before an edit of all of them.
    if (const std::size_t most = std::max<std::size_t>(256, 2 * project_.pieces.size()); cache_.drawn_.size() > most) {
      std::erase_if(cache_.drawn_, [](const auto& entry) { return entry.second.piece.expired(); });
      if (cache_.drawn_.size() > most) cache_.drawn_.clear();
    }
    cache_.drawn_[piece.handle().get()] = {piece.handle(), drawn};
    return drawn;
  }

  /// The recipe's result with what was said about its lines, placed.
  std::shared_ptr<const DrawnPiece> cooked(const Shared<Piece>& piece) {
    const auto recipe = recipe_of(*piece);
    const bool stale = stale_.contains(piece->id);
    if (!stale && recipe->drawn && recipe->piece == piece.handle() && recipe->tools == project_.tools)
      return recipe->drawn;
    Piece resolved = *piece;
    resolved.lines = recipe->shaped->lines;
    resolved.placement = frame_of(piece->placement).to_figure;
    for (auto& line : resolved.lines) {
      if (line.coat > 0) dress_as_origin(*piece, line);
      if (const auto said = piece->dress.find(line.id); said != piece->dress.end()) {
        line.role_guessed = said->second.role_guessed;
        if (!said->second.tool.empty()) line.tool = said->second.tool;
        line.repeats = said->second.repeats;
        line.stroke_by_stroke = said->second.stroke_by_stroke;
        line.raised_mm = said->second.raised_mm;
      }
      if (piece->helper) line.role = Role::guide;
      if (!runs(line.role)) line.tool.clear();
      if (runs(line.role) && line.tool.empty()) {
        for (const auto& tool : project_.tools) {
          if (!serves(tool, line.role)) continue;
          line.tool = tool.id;
          break;
        }
      }
    }
    auto drawn = drawn_of(Shared<Piece>(std::move(resolved)));
    drawn->outcomes = recipe->shaped->outcomes;
    drawn->stale = stale;
    if (!stale) {
      auto kept = std::make_shared<DrawingCache::Recipe>(*recipe);
      kept->piece = piece.handle();
      kept->tools = project_.tools;
      kept->drawn = drawn;
      const std::lock_guard lock(cache_.mutex_);
      cache_.recipes_[piece->id] = kept;
    }
    return drawn;
  }

  /// Strokes of a fill are run as the line they fill, with its tool when that can do it.
  void dress_as_origin(const Piece& piece, Line& strokes) const {
    if (const auto said = piece.dress.find(strokes.id.substr(0, strokes.id.rfind('~'))); said != piece.dress.end()) {
      strokes.tool = said->second.tool;
      strokes.repeats = said->second.repeats;
      strokes.stroke_by_stroke = said->second.stroke_by_stroke;
    }
    const Tool* known = find_tool(project_, strokes.tool);
    if (!known || !serves(*known, strokes.role)) strokes.tool.clear();
  }

  std::shared_ptr<const DrawingCache::Recipe> recipe_of(const Piece& piece) {
    if (const auto known = done_.find(piece.id); known != done_.end()) return known->second;
    std::shared_ptr<const DrawingCache::Recipe> before;
    {
      const std::lock_guard lock(cache_.mutex_);
      if (const auto found = cache_.recipes_.find(piece.id); found != cache_.recipes_.end()) before = found->second;
    }
    const Frame frame = frame_of(piece.placement);
    auto recipe = std::make_shared<DrawingCache::Recipe>();
    recipe->source = piece.source;
    recipe->own = piece.lines;
    recipe->dress = piece.dress;
    recipe->shape = frame.shape;
    const bool same_start = before && before->source == recipe->source && before->own == recipe->own &&
                            before->dress == recipe->dress && before->shape == recipe->shape;
    if (same_start) {
      recipe->start = before->start;
      recipe->first = before->first;
    } else {
      if (effort_ == Effort::at_once && piece.source.kind == "picture") return leave(piece, before);
      recipe->start = start_lines(piece, frame.shape, recipe->first.trouble);
      give_roles(recipe->start, piece.dress);
      measure(recipe->start, recipe->first);
    }
    const std::vector<Line>* lines = &recipe->start;
    bool same = same_start;
    std::size_t steps_on = 0;
    for (const auto& step : piece.steps) steps_on += step.on;
    recipe->after.reserve(steps_on);
    for (const auto& step : piece.steps) {
      if (!step.on) continue;
      DrawingCache::After after;
      after.step = step;
      after.inputs = inputs_for(piece, step, frame);
      if (step.kind == "scale" || step.kind == "repeat") after.room = sheet_room(project_, piece.stock);
      if (step.kind == "fill") after.turned = turned(step, frame);
      if (step.kind == "bridge") {
        if (const Stock* stock = find_stock(project_, piece.stock)) after.thickness = stock->thickness_mm;
      }
      const std::size_t at = recipe->after.size();
      same = same && before && at < before->after.size() && before->after[at].step == after.step &&
             before->after[at].inputs == after.inputs && before->after[at].room == after.room &&
             before->after[at].turned == after.turned && before->after[at].thickness == after.thickness;
      if (same) {
        recipe->after.push_back(before->after[at]);
      } else {
        if (effort_ == Effort::at_once) {
          std::size_t nodes = work_of(step, *lines);
          for (const auto& input : after.inputs) nodes += nodes_in(input.shaped->lines);
          spent_ += nodes;
          if (spent_ > kAtOnce) return leave(piece, before);
        }
        after.lines = carried_out(piece, after, *lines);
        if (after.outcome.fill && after.outcome.fill->coarse) {
          // Only a first look: shown, but not remembered.
          give_roles(after.lines, piece.dress);
          return first_look(piece, before, *recipe, std::move(after));
        }
        give_roles(after.lines, piece.dress);
        recipe->after.push_back(std::move(after));
      }
      lines = &recipe->after.back().lines;
    }
    if (same && before->after.size() == recipe->after.size() && before->shaped) {
      recipe->shaped = before->shaped;
      recipe->piece = before->piece;
      recipe->tools = before->tools;
      recipe->drawn = before->drawn;
    } else {
      std::vector<StepOutcome> outcomes{recipe->first};
      for (const auto& after : recipe->after) outcomes.push_back(after.outcome);
      const auto fabric = std::find_if(recipe->after.begin(), recipe->after.end(),
                                       [](const auto& a) { return a.step.kind == "applique"; });
      std::vector<Line> seen;
      if (fabric != recipe->after.end())
        seen = fabric == recipe->after.begin() ? recipe->start : std::prev(fabric)->lines;
      recipe->shaped = std::make_shared<const Shaped>(*lines, std::move(outcomes), std::move(seen));
    }
    done_[piece.id] = recipe;
    const std::lock_guard lock(cache_.mutex_);
    cache_.recipes_[piece.id] = recipe;
    return recipe;
  }

  /// What there was last, or the bare source, until there is time.
  std::shared_ptr<const DrawingCache::Recipe> leave(const Piece& piece,
                                                    std::shared_ptr<const DrawingCache::Recipe> before) {
    stale_.insert(piece.id);
    if (!before) {
      auto bare = std::make_shared<DrawingCache::Recipe>();
      Sayings trouble;
      std::vector<Line> lines;
      if (piece.source.kind != "picture") lines = start_lines(piece, frame_of(piece.placement).shape, trouble);
      bare->shaped = std::make_shared<const Shaped>(std::move(lines), std::vector<StepOutcome>{});
      before = bare;
    }
    done_[piece.id] = before;
    return before;
  }

  /// A fill made coarser, so that it shows at once what it is like; steps after it wait.
  std::shared_ptr<const DrawingCache::Recipe> first_look(const Piece& piece,
                                                         std::shared_ptr<const DrawingCache::Recipe> before,
                                                         const DrawingCache::Recipe& so_far,
                                                         DrawingCache::After after) {
    stale_.insert(piece.id);
    auto look = before ? std::make_shared<DrawingCache::Recipe>(*before) : std::make_shared<DrawingCache::Recipe>();
    std::vector<StepOutcome> outcomes{so_far.first};
    for (const auto& done : so_far.after) outcomes.push_back(done.outcome);
    outcomes.push_back(after.outcome);
    look->shaped = std::make_shared<const Shaped>(std::move(after.lines), std::move(outcomes));
    done_[piece.id] = look;
    return look;
  }

  /// How far a piece is turned, for fills whose angle counts on the mat; 0 for others, so that turning redoes nothing.
  static double turned(const Step& step, const Frame& frame) {
    const Reading take(*find_kind(step_kinds(), "fill"), step.values);
    if (!take.is("angle-from", "mat")) return 0;
    return std::atan2(-frame.to_figure.b, frame.to_figure.a) * 180 / std::numbers::pi;
  }

  static std::vector<Line> start_lines(const Piece& piece, const Affine& shape, Sayings& trouble) {
    std::vector<Line> lines = piece.source.kind.empty() ? piece.lines : source_lines(piece.source, trouble);
    return shape == Affine{} ? lines : with_single_placed(mapped(std::move(lines), shape));
  }

  std::vector<Input> inputs_for(const Piece& piece, const Step& step, const Frame& frame) {
    auto ids = inputs_of(step);
    if (works_under_all(step)) ids = graph_.above(piece.id);
    // What is made of other pieces alone works where they are; its own placement moves the result.
    const Affine own = piece.source.kind == "pieces" ? Affine{} : frame.to_figure;
    std::vector<Input> out;
    for (const int id : ids) {
      const Piece* other = find_piece(project_, id);
      if (!other || !graph_.has(piece.id, id)) continue;
      const auto recipe = recipe_of(*other);
      if (stale_.contains(id)) stale_.insert(piece.id);
      out.push_back({id, recipe->shaped, own.inverse() * placed(*other)});
    }
    return out;
  }

  /// Where the frame of a piece lies on the mat.
  static Affine placed(const Piece& piece) { return frame_of(piece.placement).to_figure; }

  std::vector<Line> carried_out(const Piece& piece, DrawingCache::After& after, const std::vector<Line>& lines) {
    std::map<int, Region> regions;
    StepInputs inputs;
    inputs.above = graph_.above(piece.id);
    inputs.room = after.room;
    inputs.turned = after.turned;
    inputs.thickness_mm = after.thickness;
    if (effort_ == Effort::at_once) inputs.most_strokes = kFirstLook;
    auto find = [&](int id) -> const Input* {
      const auto found =
          std::find_if(after.inputs.begin(), after.inputs.end(), [&](const Input& i) { return i.piece == id; });
      return found == after.inputs.end() ? nullptr : &*found;
    };
    inputs.covers = [&](int id) -> const Region& {
      if (const auto known = regions.find(id); known != regions.end()) return known->second;
      const Input* input = find(id);
      return regions[id] = input ? transformed(input->shaped->material(), input->map) : Region{};
    };
    inputs.courses = [&](int id) {
      std::vector<Polyline> out;
      const Input* input = find(id);
      if (!input) return out;
      for (const auto& line : input->shaped->lines) {
        if (line.coat > 0) continue;
        for (const auto& c : transformed(*line.path, input->map * line.at).contours) out.push_back(flatten(c, kChord));
      }
      return out;
    };
    inputs.bounds = [&](int id) {
      const Input* input = find(id);
      return input ? mapped_box(bounds_of(input->shaped->lines), input->map) : Box{};
    };
    for (const int id : inputs_of(after.step)) {
      if (find(id)) continue;
      const bool gone = find_piece(project_, id) == nullptr;
      after.outcome.trouble = {{gone ? "inputs-gone" : "inputs-circle"}};
    }
    const Sayings trouble = after.outcome.trouble;
    try {
      auto out = apply(after.step, lines, inputs, after.outcome);
      if (!trouble.empty()) after.outcome.trouble = trouble;
      return out;
    } catch (const std::bad_alloc&) {
      throw;
    } catch (const std::exception& e) {
      // A kernel that gave up leaves the lines as they were, and says so; nothing vanishes.
      after.outcome = {};
      after.outcome.step = after.step.id;
      const auto* known = dynamic_cast<const GeometryFailure*>(&e);
      after.outcome.trouble = {known ? Said{known->what()} : Said{"step-failed", {{"why", std::string(e.what())}}}};
      measure(lines, after.outcome);
      return lines;
    }
  }

  const Project& project_;
  DrawingCache& cache_;
  Effort effort_;
  PieceGraph graph_;
  std::size_t spent_ = 0;
  std::map<int, std::shared_ptr<const DrawingCache::Recipe>> done_;
  std::set<int> stale_;
};

const Region& Shaped::material() const {
  std::call_once(once_, [this] { material_ = material_of(seen_.empty() ? lines : seen_); });
  return material_;
}

Frame frame_of(const Affine& m) {
  const double n = std::hypot(m.a, m.b);
  // An upright placement is taken as it is, so that unturned pieces keep their very digits.
  if (n <= 0 || (m.b == 0 && m.a > 0)) return {{m.a, m.b, m.c, m.d, 0, 0}, Affine::move(m.e, m.f)};
  const double c = m.a / n, s = m.b / n;
  return {{n, 0, c * m.c + s * m.d, c * m.d - s * m.c, 0, 0}, {c, s, -s, c, m.e, m.f}};
}

Drawing evaluate(const Project& project, DrawingCache& cache, Effort effort) {
  return Evaluation(project, cache, effort).run();
}

}  // namespace dotlane
