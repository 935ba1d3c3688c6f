#include "render/picture_file.hpp"

#include <QFileInfo>
#include <QImageReader>
#include <QPainter>
#include <cmath>

#include "core/text_scan.hpp"

namespace dotlane {
namespace {

/// mm wide by the resolution in the file: the same both ways, neither what programs write that know of none nor what
/// Qt gives a picture without.
double stated_width(const QImage& image) {
  const int across = image.dotsPerMeterX(), down = image.dotsPerMeterY();
  const int unstated = QImage(1, 1, QImage::Format_RGB888).dotsPerMeterX();
  const auto about = [across](double per_inch) { return std::abs(across - per_inch / 0.0254) < 20; };
  if (across <= 0 || std::abs(across - down) > across / 100) return 0;
  if (across == unstated || about(72) || about(96)) return 0;
  return 1000.0 * image.width() / across;
}

}  // namespace

Result<PictureFile> read_picture(const std::string& file) {
  constexpr int kLargestFile = 20'000;  // px a side; beyond this a file is a mistake or a trap
  const QString path = QString::fromStdString(file);
  if (!QFileInfo(path).isFile()) return fail(ErrorKind::unreadable, {"no-file"}, file);
  QImageReader reader(path);
  reader.setDecideFormatFromContent(true);
  reader.setAutoTransform(true);
  const QSize size = reader.size();
  if (!reader.canRead()) return fail(ErrorKind::unsupported, {"not-a-picture"}, file);
  if (size.width() > kLargestFile || size.height() > kLargestFile) {
    return fail(ErrorKind::unsupported,
                {"picture-too-large",
                 {{"width", figure(size.width())}, {"height", figure(size.height())}, {"most", figure(kLargestFile)}}},
                file);
  }
  QImage image = reader.read();
  if (image.isNull()) {
    return fail(ErrorKind::malformed, {"picture-damaged", {{"why", reader.errorString().toStdString()}}}, file);
  }
  return PictureFile{picture_of(image), stated_width(image)};
}

Values stated_values(const PictureFile& file) {
  const char* key = "width";
  if (!accepts(*find_kind(shape_kinds(), "picture")->find(key), file.width_mm)) return {};
  return {{key, file.width_mm}};
}

Picture picture_of(const QImage& given) {
  QImage image = given;
  if (image.width() > kLargestPicture || image.height() > kLargestPicture)
    image = image.scaled(kLargestPicture, kLargestPicture, Qt::KeepAspectRatio, Qt::SmoothTransformation);
  QImage flat(image.size(), QImage::Format_RGB888);
  flat.fill(Qt::white);
  {
    QPainter painter(&flat);
    painter.drawImage(0, 0, image);
  }
  Picture out;
  out.width = flat.width();
  out.height = flat.height();
  out.rgb.reserve(std::size_t{3} * static_cast<std::size_t>(out.width) * static_cast<std::size_t>(out.height));
  for (int y = 0; y < out.height; ++y) {
    const uchar* row = flat.constScanLine(y);
    out.rgb.insert(out.rgb.end(), row, row + 3 * out.width);
  }
  return out;
}

bool is_picture(const std::string& file) {
  const std::string name = lower_case(file);
  for (const char* ending : {".png", ".jpg", ".jpeg", ".bmp", ".gif", ".webp"}) {
    if (name.ends_with(ending)) return true;
  }
  return false;
}

}  // namespace dotlane
