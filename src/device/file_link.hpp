// A cutter that is a file: for those that take a job from a stick, and for looking at what is sent.
#pragma once

#include <memory>

#include <QSaveFile>

#include "device/cutter_link.hpp"

namespace dotlane {

/// Writes the whole stream, pauses as markers in it; the file is there once all of it is.
class FileLink : public CutterLink {
  Q_OBJECT
 public:
  explicit FileLink(QString path, QObject* parent = nullptr) : CutterLink(parent), path_(std::move(path)) {}
  [[nodiscard]] Capabilities capabilities() const override { return {path_, false, false, false, false, true, 0}; }
  void open() override;
  void send(const Shipment& shipment) override;
  void allow(std::size_t bytes) override;
  void confirmLoaded(const std::vector<std::string>&) override {}
  void hold() override {}
  void resume() override {}
  void cancel() override;
  void setTimeScale(double) override {}
  void close() override;

 private:
  void fail(const QString& why);
  QString path_;
  std::unique_ptr<QSaveFile> file_;
  Shipment shipment_;
  std::size_t written_ = 0;
};

}  // namespace dotlane
