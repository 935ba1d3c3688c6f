#include "core/job/job.hpp"

#include <algorithm>

#include "core/layout/print_art.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

std::vector<std::string> held(const std::vector<HolderLoad>& loads) {
  std::vector<std::string> out;
  for (const auto& load : loads) out.push_back(load.holds);
  return out;
}

class Writer {
 public:
  explicit Writer(double mat_height) : mat_height_(mat_height) {}
  std::string out = "IN;\n";

  void pair(Vec p) {
    out += std::to_string(std::llround(p.x * kHpglPerMm));
    out += ',';
    out += std::to_string(std::llround((mat_height_ - p.y) * kHpglPerMm));
  }
  void stroke(const Stroke& stroke) {
    const std::vector<Vec> points = stroke.points();
    const auto n = points.size();
    out += "PU", pair(points.front()), out += ";PD";
    for (std::size_t i = n > 1 ? 1 : 0; i < n; ++i) {
      pair(points[i]);
      out += i + 1 == n ? ";\n" : i % 64 == 0 ? ";PD" : ",";
    }
  }
  void comment(std::string_view text) { out += "CO \"" + std::string(text) + "\";\n"; }

 private:
  double mat_height_;
};

}  // namespace

std::string marker_text(const LoadMarker& m) {
  std::string out = m.pause ? "dot-lane pause " + std::to_string(m.number) : std::string("dot-lane start");
  out += " mat " + std::to_string(m.mat) + " holders";
  for (std::size_t i = 0; i < m.holders.size(); ++i) {
    out += " " + std::to_string(i + 1) + "=" + (m.holders[i].empty() ? "-" : m.holders[i]);
  }
  return out;
}

std::optional<LoadMarker> marker_from(std::string_view text) {
  const auto words = split(text, ' ');
  std::size_t at = 0;
  auto next = [&] { return at < words.size() ? words[at++] : std::string_view{}; };
  if (next() != "dot-lane") return std::nullopt;
  LoadMarker m;
  const auto kind = next();
  if (kind == "pause") {
    m.pause = true;
    m.number = static_cast<int>(to_integer(next()).value_or(0));
  } else if (kind != "start") {
    return std::nullopt;
  }
  if (next() != "mat") return std::nullopt;
  m.mat = static_cast<int>(to_integer(next()).value_or(1));
  if (next() != "holders") return std::nullopt;
  while (at < words.size()) {
    const auto word = next();
    const auto equals = word.find('=');
    if (equals == std::string_view::npos) return std::nullopt;
    const auto tool = word.substr(equals + 1);
    m.holders.emplace_back(tool == "-" ? "" : tool);
  }
  return m;
}

std::string marker_text(const MarksMarker& m) {
  std::string out = "dot-lane marks sheet " + std::to_string(m.sheet);
  const auto add = [&](Vec p) { out += " " + rounded_text(p.x, 3) + "," + rounded_text(p.y, 3); };
  for (const Vec dot : m.marks.dots) add(dot);
  add(m.marks.second);
  return out;
}

std::optional<MarksMarker> marks_from(std::string_view text) {
  constexpr std::string_view kBegin = "dot-lane marks sheet ";
  if (!text.starts_with(kBegin)) return std::nullopt;
  const auto words = split(text.substr(kBegin.size()), ' ');
  if (words.size() != 6) return std::nullopt;
  MarksMarker out;
  out.sheet = static_cast<int>(to_integer(words[0]).value_or(0));
  for (std::size_t i = 0; i < 5; ++i) {
    TextScan in(words[i + 1]);
    const auto x = in.number(), y = in.number();
    if (!x || !y) return std::nullopt;
    (i < 4 ? out.marks.dots[i] : out.marks.second) = {*x, *y};
  }
  return out;
}

std::vector<PrintedSheet> laid_by_chance(const Project& project, const Layout& layout, const Plan& plan, unsigned seed,
                                         const Misplaced& within) {
  std::vector<PrintedSheet> out;
  std::mt19937 random(seed);
  const auto chance = [&](double most) {
    return most * (2 * static_cast<double>(random()) / static_cast<double>(std::mt19937::max()) - 1);
  };
  for (const auto& placed : layout.sheets) {
    const auto pass = std::find_if(plan.passes.begin(), plan.passes.end(),
                                   [&](const Pass& p) { return p.sheet == placed.sheet.id && p.marks; });
    if (pass == plan.passes.end()) continue;
    const Vec centre = placed.sheet.area.centre();
    PrintedSheet sheet{placed.sheet.id, placed.sheet.load, {}, *pass->marks, {}};
    const Vec shift{chance(within.shift_mm), chance(within.shift_mm)};
    const double turn = chance(within.turn_deg), wide = 1 + chance(within.scale), high = 1 + chance(within.scale);
    sheet.placement = Affine::move(centre.x + shift.x, centre.y + shift.y) * Affine::rotate(turn) *
                      Affine::scale(wide, high) * Affine::move(-centre.x, -centre.y);
    // Only what is printed near the marks could be taken for one.
    std::vector<Region> near;
    for (const Vec dot : pass->marks->dots)
      near.push_back(region_of(Box::of(dot.x, dot.y, 0, 0).grown(kMarkSearch + 2 * kMarkDot)));
    const Region windows = unite(near);
    const Affine printed = onto_print(project, placed.sheet);
    std::vector<Region> art;
    for (const auto& shape : print_art(project, layout, placed))
      art.push_back(intersect(transformed(shape.area, printed), windows));
    sheet.art = unite(art);
    out.push_back(std::move(sheet));
  }
  return out;
}

Job compile(const Plan& plan, const Machine& machine) {
  Writer w(machine.mat.height_mm);
  if (!plan.passes.empty())
    w.comment(marker_text(LoadMarker{false, 0, plan.passes.front().load, held(plan.first_load)}));
  std::size_t pause = 0;
  int registered = 0;  // the sheet whose marks say where things go
  for (std::size_t i = 0; i < plan.passes.size(); ++i) {
    const Pass& pass = plan.passes[i];
    if (pause < plan.pauses.size() && plan.pauses[pause].before_pass == i) {
      w.out += "PU;\n";
      const Pause& now = plan.pauses[pause];
      w.comment(marker_text(LoadMarker{true, static_cast<int>(pause) + 1, now.load, held(now.holders)}));
      if (now.change_mat) registered = 0;
      ++pause;
    }
    const int wanted = pass.marks ? pass.sheet : 0;
    if (wanted != registered) {
      w.out += "PU;\n";
      w.comment(pass.marks ? marker_text(MarksMarker{pass.sheet, *pass.marks}) : std::string(kAsLaid));
      registered = wanted;
    }
    w.out += "SP" + std::to_string(pass.holder) + ";VS" + rounded_text(pass.speed_mm_s / 10, 2) + ";FS" +
             rounded_text(pass.force_gf, 0) + ";\n";
    for (int r = 0; r < pass.rounds(); ++r) {
      for (const auto& stroke : pass.strokes) w.stroke(stroke);
    }
  }
  w.out += "PU;SP0;\n";
  return {std::move(w.out), machine, plan, {}};
}

bool HpglParser::empty() const { return trimmed(pending_).empty(); }

Result<HpglInstruction> HpglParser::read(std::string_view text) const {
  auto bad = [&](const std::string& why) {
    return fail(ErrorKind::malformed,
                why + " (instruction " + std::to_string(count_ + 1) + ": \"" + std::string(text.substr(0, 24)) + "\")");
  };
  auto upper = [](char c) { return static_cast<char>(c >= 'a' && c <= 'z' ? c - 'a' + 'A' : c); };
  HpglInstruction out;
  if (text.size() < 2) return bad("an instruction of two letters is expected");
  out.code = {upper(text[0]), upper(text[1])};
  for (const char c : out.code) {
    if (c < 'A' || c > 'Z') return bad("an instruction of two letters is expected");
  }
  const auto rest = trimmed(text.substr(2));
  if (out.code == "CO") {
    if (rest.size() >= 2 && rest.front() == '"' && rest.back() == '"') out.text = rest.substr(1, rest.size() - 2);
    return out;
  }
  TextScan in(rest);
  while (const auto v = in.number()) out.numbers.push_back(*v);
  in.skip_space();
  if (!in.done()) return bad("a number is expected");
  return out;
}

Result<void> HpglParser::feed(std::string_view bytes, std::vector<HpglInstruction>& out) {
  constexpr std::size_t kLongest = 1 << 20;
  pending_ += bytes;
  std::size_t from = 0;
  for (;;) {
    std::size_t start = from;
    while (start < pending_.size() && is_space(pending_[start])) ++start;
    bool quoted = false;
    std::size_t end = start;
    for (; end < pending_.size() && (quoted || pending_[end] != ';'); ++end) {
      if (pending_[end] == '"') quoted = !quoted;
    }
    if (end >= pending_.size()) break;
    auto instruction = read(std::string_view(pending_).substr(start, end - start));
    if (!instruction) return tl::unexpected<Error>(instruction.error());
    instruction->bytes = end + 1 - from;
    ++count_;
    out.push_back(std::move(*instruction));
    from = end + 1;
  }
  pending_.erase(0, from);
  if (pending_.size() > kLongest) return fail(ErrorKind::malformed, "an instruction never ends");
  return {};
}

}  // namespace dotlane
