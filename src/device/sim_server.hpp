// dot-lane-simcutter's inside: serves one client at a time over a local socket.
#pragma once

#include <QElapsedTimer>
#include <QLocalServer>
#include <QLocalSocket>
#include <QTimer>
#include <memory>

#include "core/job/cutter.hpp"
#include "device/mat_memory.hpp"

namespace dotlane {

class SimServer : public QObject {
  Q_OBJECT
 public:
  explicit SimServer(QObject* parent = nullptr);
  ~SimServer() override;
  /// Listens under this name; false when it cannot, with the reason in errorString().
  bool listen(const QString& name);
  [[nodiscard]] QString errorString() const { return server_.errorString(); }
  /// What it does is kept in this file; what is in it already has happened.
  Result<void> remember(const std::string& path) { return memory_.open(path); }

 signals:
  /// The client has gone, and the tool is up.
  void clientGone();

 private:
  void accept();
  void readLines();
  void handle(const QByteArray& line);
  void tick();
  void left_alone();
  /// Takes down what has happened since.
  void note();
  void report();
  void meet(FaultKind fault);
  void send(const std::string& line);
  void finish();

  QLocalServer server_;
  QLocalSocket* client_ = nullptr;
  std::unique_ptr<Cutter> cutter_;
  QTimer timer_;
  QElapsedTimer since_tick_, since_report_;
  double scale_ = 1;
  bool over_ = false, alone_ = false;
  bool pause_told_ = false;
  MatMemory memory_;
  std::string job_;
  int part_ = 1;
  std::size_t received_ = 0;  // bytes of the stream
  std::vector<Mark> unsaid_;
  std::vector<Fault> faults_;  // of line and power, in the order of their times
  std::size_t met_ = 0;
  bool garbles_ = false;       // the next that comes is damaged
  std::size_t kept_back_ = 0;  // credit
  QElapsedTimer full_;         // since when nothing more is taken
};

}  // namespace dotlane
