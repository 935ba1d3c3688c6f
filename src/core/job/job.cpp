#include "core/job/job.hpp"

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
  void marker(const LoadMarker& m) { out += "CO \"" + marker_text(m) + "\";\n"; }

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

Job compile(const Plan& plan, const Machine& machine) {
  Writer w(machine.mat.height_mm);
  if (!plan.passes.empty()) w.marker({false, 0, plan.passes.front().load, held(plan.first_load)});
  std::size_t pause = 0;
  for (std::size_t i = 0; i < plan.passes.size(); ++i) {
    const Pass& pass = plan.passes[i];
    if (pause < plan.pauses.size() && plan.pauses[pause].before_pass == i) {
      w.out += "PU;\n";
      w.marker({true, static_cast<int>(pause) + 1, plan.pauses[pause].load, held(plan.pauses[pause].holders)});
      ++pause;
    }
    w.out += "SP" + std::to_string(pass.holder) + ";VS" + rounded_text(pass.speed_mm_s / 10, 2) + ";FS" +
             rounded_text(pass.force_gf, 0) + ";\n";
    for (int r = 0; r < pass.rounds(); ++r) {
      for (const auto& stroke : pass.strokes) w.stroke(stroke);
    }
  }
  w.out += "PU;SP0;\n";
  return {std::move(w.out), machine, plan};
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
