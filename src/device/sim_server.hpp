// dot-lane-simcutter's inside: serves one client at a time over a local socket.
#pragma once

#include <QElapsedTimer>
#include <QLocalServer>
#include <QLocalSocket>
#include <QTimer>
#include <memory>

#include "core/job/cutter.hpp"

namespace dotlane {

class SimServer : public QObject {
  Q_OBJECT
 public:
  explicit SimServer(QObject* parent = nullptr);
  ~SimServer() override;
  /// Listens under this name; false when it cannot, with the reason in errorString().
  bool listen(const QString& name);
  [[nodiscard]] QString errorString() const { return server_.errorString(); }

 signals:
  void clientGone();

 private:
  void accept();
  void readLines();
  void handle(const QByteArray& line);
  void tick();
  void report();
  void send(const std::string& line);
  void finish();

  QLocalServer server_;
  QLocalSocket* client_ = nullptr;
  std::unique_ptr<Cutter> cutter_;
  QTimer timer_;
  QElapsedTimer since_tick_, since_report_;
  double scale_ = 1;
  bool over_ = false;
  bool pause_told_ = false;
};

}  // namespace dotlane
