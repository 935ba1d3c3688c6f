#include "device/file_link.hpp"

#include <QTimer>
#include <algorithm>

namespace dotlane {

void FileLink::open() {
  file_ = std::make_unique<QSaveFile>(path_);
  written_ = 0;
  shipment_ = {};
  if (!file_->open(QIODevice::WriteOnly)) return fail(file_->errorString());
  QTimer::singleShot(0, this, [this] {
    if (file_) emit opened({});
  });
}

void FileLink::send(const Shipment& shipment) { shipment_ = shipment; }

void FileLink::allow(std::size_t bytes) {
  const std::string& text = shipment_.stream.text;
  const std::size_t to = std::min(bytes, text.size());
  if (!file_ || to <= written_) return;
  const auto n = static_cast<qint64>(to - written_);
  if (file_->write(text.data() + written_, n) != n) return fail(file_->errorString());
  written_ = to;
  if (written_ < text.size()) {
    emit done(written_, 0);
    return;
  }
  if (!file_->commit()) return fail(file_->errorString());
  file_.reset();
  emit done(written_, 0);
  emit ended(Outcome::done, {});
}

void FileLink::fail(const QString& why) {
  file_.reset();
  emit ended(Outcome::failed, tr("%1 cannot be written: %2").arg(path_, why));
}

void FileLink::cancel() {
  if (!file_) return;
  file_.reset();
  emit ended(Outcome::cancelled, {});
}

void FileLink::close() { file_.reset(); }

}  // namespace dotlane
