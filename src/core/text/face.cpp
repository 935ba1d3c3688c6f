#include "core/text/face.hpp"

#include <filesystem>
#include <fstream>
#include <sstream>

#include "core/text/outline_face.hpp"
#include "core/text/stroke_face.hpp"
#include "core/text_scan.hpp"

namespace dotlane {

const CentreLines& Face::centre_lines(unsigned id) const {
  const Glyph& form = glyph(id);
  const std::lock_guard lock(centre_mutex_);
  const auto [at, fresh] = centres_.try_emplace(id);
  // Worked out at a hundred millimetres to the em, so that the grid of regions is fine enough.
  if (fresh) {
    constexpr double kScale = 100;
    at->second = dotlane::centre_lines(region_of(transformed(form.path, Affine::scale(kScale, kScale)), 0.02));
    for (auto& line : at->second.lines) {
      for (auto& p : line.points) p = p * (1 / kScale);
      for (auto& w : line.widths) w /= kScale;
    }
  }
  return at->second;
}

Result<std::shared_ptr<const Face>> open_face(const std::string& file, int index, const AxisValues& axes) {
  std::error_code trouble;
  if (!std::filesystem::is_regular_file(file, trouble)) return fail(ErrorKind::unreadable, {"no-font"}, file);
  if (std::filesystem::file_size(file, trouble) > kLargestFont || trouble)
    return fail(ErrorKind::unsupported, {"file-too-large", {{"mb", figure(kLargestFont >> 20)}}}, file);
  std::ifstream in(file, std::ios::binary);
  std::ostringstream bytes;
  bytes << in.rdbuf();
  if (!in) return fail(ErrorKind::unreadable, {"font-unread"}, file);
  const std::filesystem::path path(file);
  if (lower_case(path.extension().string()) == ".jhf") {
    auto name = path.stem().string();
    return open_stroke_face(std::move(bytes).str(), "Hershey " + name, file);
  }
  return open_outline_face(std::move(bytes).str(), index, axes, file);
}

}  // namespace dotlane
