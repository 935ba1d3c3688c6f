#include "render/picture_file.hpp"

#include <QFileInfo>
#include <QImageReader>
#include <QPainter>

#include "core/text_scan.hpp"

namespace dotlane {

Result<Picture> read_picture(const std::string& file) {
  constexpr int kLargestFile = 20'000;  // px a side; beyond this a file is a mistake or a trap
  const QString path = QString::fromStdString(file);
  if (!QFileInfo(path).isFile()) return fail(ErrorKind::unreadable, "there is no such file", file);
  QImageReader reader(path);
  reader.setDecideFormatFromContent(true);
  reader.setAutoTransform(true);
  const QSize size = reader.size();
  if (!reader.canRead()) return fail(ErrorKind::unsupported, "this is not a picture; use PNG or JPEG", file);
  if (size.width() > kLargestFile || size.height() > kLargestFile) {
    return fail(ErrorKind::unsupported,
                "the picture is " + std::to_string(size.width()) + " x " + std::to_string(size.height()) +
                    " px; make it smaller than 20,000 px a side",
                file);
  }
  QImage image = reader.read();
  if (image.isNull()) {
    return fail(ErrorKind::malformed,
                "the picture is damaged (" + reader.errorString().toStdString() + "); save it anew", file);
  }
  return picture_of(image);
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
