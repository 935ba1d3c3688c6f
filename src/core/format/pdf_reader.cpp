#include "core/format/pdf_reader.hpp"

#include <algorithm>
#include <functional>
#include <set>

#include "core/format/files.hpp"
#include "core/format/svg_reader.hpp"
#include "core/run_program.hpp"
#include "core/temporary_folder.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr double kMostSeconds = 60;

bool is_postscript(std::string_view bytes) {
  return bytes.starts_with("%!PS") || bytes.starts_with("\xC5\xD0\xD3\xC6");  // the latter with a preview
}

using Stop = std::function<bool()>;

/// Of each program that is asked: what is said where it is missing, or does not come to an end.
Result<void> ask(const std::vector<std::string>& words, const std::string& package, const std::string& file_name,
                 const Said& refused, const Stop& stop, const std::string& output = "/dev/null") {
  const ProgramEnd end = run_program(words, kMostSeconds, output, stop);
  if (!end.found)
    return fail(ErrorKind::unsupported, {"program-missing", {{"program", words.front()}, {"package", package}}},
                file_name);
  if (end.stopped) return fail(ErrorKind::unsupported, {"reading-stopped"}, file_name);
  if (!end.in_time) return fail(ErrorKind::unsupported, {"pdf-slow"}, file_name);
  if (end.code != 0) return fail(ErrorKind::malformed, refused, file_name);
  return {};
}

Result<int> pages_of(const std::string& pdf, const TemporaryFolder& folder, const std::string& file_name,
                     const Stop& stop) {
  const std::string said = folder.path() + "/said";
  if (auto done = ask({"pdfinfo", pdf}, "poppler-utils", file_name, {"pdf-damaged"}, stop, said); !done)
    return tl::unexpected<Error>(done.error());
  const auto text = read_file(said);
  if (!text) return tl::unexpected<Error>(text.error());
  for (const auto line : split(*text, '\n')) {
    if (line.starts_with("Pages:")) return static_cast<int>(to_integer(trimmed(line.substr(6))).value_or(0));
  }
  return 0;
}

/// cairo writes by which rule a clip path is filled on what it clips, where it means nothing, instead of on its shapes.
std::string with_clip_rules(const std::string& svg) {
  constexpr std::string_view kUse = "clip-path=\"url(#", kRule = ")\" clip-rule=\"evenodd\"", kClip = "<clipPath id=\"";
  std::set<std::string, std::less<>> ids;
  for (std::size_t at = 0; (at = svg.find(kUse, at)) != std::string::npos;) {
    at += kUse.size();
    const std::size_t end = std::min(svg.find(')', at), svg.size());
    if (svg.compare(end, kRule.size(), kRule) == 0) ids.insert(svg.substr(at, end - at));
  }
  std::string out;
  std::size_t done = 0;
  for (std::size_t at = 0; !ids.empty() && (at = svg.find(kClip, at)) != std::string::npos;) {
    at += kClip.size();
    const std::size_t end = std::min(svg.find('"', at), svg.size());
    if (!ids.contains(std::string_view(svg).substr(at, end - at))) continue;
    out.append(svg, done, end + 1 - done).append(kRule.substr(2));
    done = std::min(end + 1, svg.size());
  }
  return out.append(svg, done);
}

}  // namespace

bool looks_like_pdf(std::string_view bytes) {
  return bytes.substr(0, 1024).find("%PDF-") != std::string_view::npos || is_postscript(bytes);
}

Result<Artwork> read_pdf(std::string_view bytes, const std::string& file_name, const ReadOptions& options) {
  if (bytes.size() > options.max_bytes)
    return fail(ErrorKind::unsupported, {"drawing-too-large", {{"mb", figure(options.max_bytes >> 20)}}}, file_name);
  const TemporaryFolder folder;
  if (folder.path().empty()) return fail(ErrorKind::unsupported, {"no-temporary-file"}, file_name);
  const std::string given = folder.path() + "/given", pdf = folder.path() + "/page.pdf",
                    svg = folder.path() + "/page.svg";
  const bool postscript = is_postscript(bytes);
  if (auto written = write_file(postscript ? given : pdf, bytes); !written)
    return tl::unexpected<Error>(written.error());
  if (postscript) {
    if (auto made =
            ask({"gs", "-q", "-dSAFER", "-dBATCH", "-dNOPAUSE", "-dEPSCrop", "-sDEVICE=pdfwrite", "-o", pdf, given},
                "ghostscript", file_name, {"postscript-damaged"}, options.stop);
        !made)
      return tl::unexpected<Error>(made.error());
  }
  const auto pages = pages_of(pdf, folder, file_name, options.stop);
  if (!pages) return tl::unexpected<Error>(pages.error());
  if (options.page < 1 || options.page > *pages)
    return fail(ErrorKind::bad_request, {"no-page", {{"page", figure(options.page)}, {"pages", figure(*pages)}}},
                file_name);
  const std::string page = std::to_string(options.page);
  const Said damaged{"page-damaged", {{"page", figure(options.page)}}};
  // As large as it is and where it is: else pages are made smaller and moved, to fit one of whole points.
  if (auto drawn = ask({"pdftocairo", "-svg", "-noshrink", "-nocenter", "-f", page, "-l", page, pdf, svg},
                       "poppler-utils", file_name, damaged, options.stop);
      !drawn)
    return tl::unexpected<Error>(drawn.error());
  const auto text = read_file(svg);
  if (!text) return fail(ErrorKind::malformed, damaged, file_name);
  auto art = read_svg(with_clip_rules(*text), file_name, options);
  if (art && *pages > 1)
    art->notes.push_back({"pages-left-out", Severity::info, {{"pages", 1.0 * *pages}, {"page", 1.0 * options.page}}});
  return art;
}

}  // namespace dotlane
