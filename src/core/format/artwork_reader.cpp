#include "core/format/artwork_reader.hpp"

#include <zlib.h>

#include <algorithm>

#include "core/format/dxf_reader.hpp"
#include "core/format/hpgl_reader.hpp"
#include "core/format/pdf_reader.hpp"
#include "core/format/svg_reader.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// What gzip packed (RFC 1952), by zlib; no more than so many bytes.
Result<std::string> unpacked_gzip(std::string_view bytes, const std::string& file_name, std::size_t most) {
  z_stream stream{};
  constexpr int kGzip = 16 + MAX_WBITS;
  if (inflateInit2(&stream, kGzip) != Z_OK) return fail(ErrorKind::unsupported, {"no-memory"}, file_name);
  stream.next_in = reinterpret_cast<Bytef*>(const_cast<char*>(bytes.data()));
  stream.avail_in = static_cast<uInt>(bytes.size());
  std::string out;
  std::vector<char> piece(1 << 16);
  int code = Z_OK;
  while (code == Z_OK && out.size() <= most) {
    stream.next_out = reinterpret_cast<Bytef*>(piece.data());
    stream.avail_out = static_cast<uInt>(piece.size());
    code = inflate(&stream, Z_NO_FLUSH);
    out.append(piece.data(), piece.size() - stream.avail_out);
  }
  inflateEnd(&stream);
  if (out.size() > most)
    return fail(ErrorKind::unsupported, {"gzip-too-large", {{"mb", figure(most >> 20)}}}, file_name);
  if (code != Z_STREAM_END) return fail(ErrorKind::malformed, {"gzip-damaged"}, file_name);
  return out;
}

/// Whether the text begins as DXF does: a comment (999) or a section (0), a number alone on its line.
bool looks_like_dxf(std::string_view bytes) {
  if (bytes.substr(0, 64).find("Binary DXF") != std::string_view::npos) return true;
  const std::string_view first = trimmed(bytes.substr(0, std::min(bytes.find('\n'), bytes.size())));
  return first == "0" || first == "999";
}

}  // namespace

Result<Artwork> read_artwork(std::string_view bytes, const std::string& file_name, const ReadOptions& options) {
  if (bytes.starts_with("\x1f\x8b")) {
    const auto text = unpacked_gzip(bytes, file_name, options.max_bytes);
    if (!text) return tl::unexpected<Error>(text.error());
    return read_svg(*text, file_name, options);
  }
  if (looks_like_pdf(bytes)) return read_pdf(bytes, file_name, options);
  if (looks_like_hpgl(bytes)) return read_hpgl(bytes, file_name, options);
  return looks_like_dxf(bytes) ? read_dxf(bytes, file_name, options) : read_svg(bytes, file_name, options);
}

const std::vector<std::string>& artwork_endings() {
  static const std::vector<std::string> endings{".svg", ".svgz", ".dxf", ".pdf", ".eps",
                                                ".ps",  ".hpgl", ".hpg", ".plt"};
  return endings;
}

}  // namespace dotlane
