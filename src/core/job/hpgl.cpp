#include "core/job/hpgl.hpp"

#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

class HpglWriter {
 public:
  explicit HpglWriter(double mat_height) : mat_height_(mat_height) {}
  std::string out = "IN;\n";

  void operator()(const LoadHolders& load) {
    if (load.pause) out += "PU;\n";
    note(marker_text(load));
  }
  void operator()(const FindMarks& marks) {
    out += "PU;\n";
    note(marker_text(marks));
  }
  void operator()(const AsLaid&) {
    out += "PU;\n";
    note(kAsLaid);
  }
  void operator()(const SelectTool& select) {
    out += "SP" + std::to_string(select.holder) + ";VS" + rounded_text(select.speed_mm_s / 10, 2) + ";FS" +
           rounded_text(select.force_gf, 0) + ";\n";
    speed_mm_s_ = select.speed_mm_s;
    if (select.depth > 0) note(depth_text(select.depth));
  }
  void operator()(const RunHead& run) {
    const auto n = run.head.size();
    const auto top = [&](std::size_t i) {  // of the move to the point
      return run.ceilings.empty() || i == 0 || i >= n ? speed_mm_s_ : std::min(speed_mm_s_, run.ceilings[i - 1]);
    };
    out += "PU", pair(run.head.front()), out += ";";
    double now = speed_mm_s_;
    bool writing = false;
    for (std::size_t i = n > 1 ? 1 : 0; i < n; ++i) {
      if (top(i) != now) {
        // With the tool down: lifted, it would start a new stroke.
        if (i == 1) out += "PD;";
        speed(now = top(i));
        writing = false;
      }
      if (!writing) out += "PD";
      writing = true;
      pair(run.head[i]);
      const bool breaks = i + 1 == n || i % 64 == 0 || top(i + 1) != now;
      out += breaks ? ";" : ",";
      if (breaks) writing = false;
    }
    if (now != speed_mm_s_) speed(speed_mm_s_);
    out += "\n";
  }
  void operator()(const EndJob&) { out += "PU;SP0;\n"; }

 private:
  void pair(Vec p) {
    out += std::to_string(std::llround(p.x * kHpglPerMm));
    out += ',';
    out += std::to_string(std::llround((mat_height_ - p.y) * kHpglPerMm));
  }
  void note(std::string_view text) { out += "CO \"" + std::string(text) + "\";\n"; }
  void speed(double mm_s) { out += "VS" + rounded_text(mm_s / 10, 2) + ";"; }
  double mat_height_, speed_mm_s_ = 0;
};

}  // namespace

Encoded hpgl_of(const Job& job) {
  HpglWriter w(job.machine.mat.height_mm);
  std::vector<std::size_t> ends;
  ends.reserve(job.instructions.size());
  for (const auto& instruction : job.instructions) {
    std::visit(w, instruction.what);
    ends.push_back(w.out.size() - 1);  // the line's end belongs to what follows, as readers take it
  }
  return {std::move(w.out), std::move(ends)};
}

Result<Command> HpglReader::read(std::string_view text) {
  auto bad = [&](const char* code) {
    return fail(ErrorKind::malformed,
                {code, {{"instruction", figure(count_ + 1)}, {"text", std::string(text.substr(0, 24))}}});
  };
  auto upper = [](char c) { return static_cast<char>(c >= 'a' && c <= 'z' ? c - 'a' + 'A' : c); };
  if (text.size() < 2) return bad("hpgl-letters");
  const std::string code{upper(text[0]), upper(text[1])};
  for (const char c : code) {
    if (c < 'A' || c > 'Z') return bad("hpgl-letters");
  }
  const auto rest = trimmed(text.substr(2));
  Command out;
  if (code == "CO") {
    out.kind = Command::Kind::note;
    if (rest.size() >= 2 && rest.front() == '"' && rest.back() == '"') out.text = rest.substr(1, rest.size() - 2);
    return out;
  }
  std::vector<double> numbers;
  TextScan in(rest);
  while (const auto v = in.number()) numbers.push_back(*v);
  in.skip_space();
  if (!in.done()) return bad("hpgl-number");
  const double first = numbers.empty() ? 0 : numbers.front();
  if (code == "PU" || code == "PD" || code == "PA") {
    if (code != "PA") down_ = code == "PD";
    out.kind = down_ ? Command::Kind::down : Command::Kind::up;
    for (std::size_t i = 0; i + 1 < numbers.size(); i += 2)
      out.points.push_back({numbers[i] / kHpglPerMm, mat_height_ - numbers[i + 1] / kHpglPerMm});
  } else if (code == "SP") {
    out.kind = Command::Kind::select, out.number = first;
  } else if (code == "VS") {
    out.kind = Command::Kind::speed, out.number = first * 10;
  } else if (code == "FS") {
    out.kind = Command::Kind::force, out.number = first;
  } else if (code != "IN") {
    out.kind = Command::Kind::fault, out.why = {"cutter-unknown", {{"word", code}}};
  }
  return out;
}

Result<void> HpglReader::feed(std::string_view bytes, std::vector<Command>& out) {
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
    auto command = read(std::string_view(pending_).substr(start, end - start));
    if (!command) return tl::unexpected<Error>(command.error());
    command->bytes = end + 1 - from;
    ++count_;
    out.push_back(std::move(*command));
    from = end + 1;
  }
  pending_.erase(0, from);
  if (pending_.size() > kLongest) return fail(ErrorKind::malformed, {"stream-instruction-endless"});
  return {};
}

Result<void> HpglReader::end(std::vector<Command>&) {
  if (!trimmed(pending_).empty()) return fail(ErrorKind::malformed, {"stream-cut-short"});
  return {};
}

}  // namespace dotlane
