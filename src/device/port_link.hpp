// A cutter on a serial or raw port, which takes HPGL: bytes with flow control by XON/XOFF or RTS/CTS (termios), and an
// answer to OA after each instruction, by which the cutter tells that it has come so far.
//
// OA; is answered by "x,y,p" and a carriage return, in the cutter's steps, p being 1 with the tool down; ESC.K drops
// what is half read and what waits (HP 7475A Interfacing and Programming Manual; from memory). Pauses are made here:
// nothing of what follows one is sent before hands have confirmed it.
#pragma once

#include <QByteArray>
#include <QSocketNotifier>
#include <QTimer>
#include <memory>

#include "device/cutter_link.hpp"

namespace dotlane {

struct PortSettings {
  QString path;  ///< /dev/ttyUSB0, say
  int baud = 9600;
  enum class Flow { xon_xoff, rts_cts, none } flow = Flow::xon_xoff;
  bool asks = true;  ///< it answers OA
  friend bool operator==(const PortSettings&, const PortSettings&) = default;
};
/// The speeds that a port may have.
[[nodiscard]] const std::vector<int>& port_speeds();

class PortLink : public CutterLink {
  Q_OBJECT
 public:
  explicit PortLink(PortSettings settings, QObject* parent = nullptr);
  ~PortLink() override;

  [[nodiscard]] Capabilities capabilities() const override;
  void open() override;
  void send(const Shipment& shipment) override;
  void allow(std::size_t bytes) override;
  void confirmLoaded(const std::vector<std::string>& holders) override;
  void hold() override;
  void resume() override;
  void cancel() override;
  void setTimeScale(double) override {}
  void close() override;
  /// How long an answer may take. A long stroke takes as long as it takes, so the longest one is added.
  void setPatience(int ms) { patience_ms_ = ms; }

 private:
  void readSome();
  void answered(const QByteArray& line);
  void writeSome();
  void lost(const QString& why);
  void unplugged();
  void confirm();
  void finish(Outcome outcome, const QString& problem);

  PortSettings settings_;
  int file_ = -1;
  std::unique_ptr<QSocketNotifier> in_, out_;
  QTimer patience_;
  int patience_ms_ = 20'000, longest_ms_ = 0;
  QByteArray heard_, outgoing_;
  Shipment shipment_;
  std::size_t allowed_ = 0;
  std::size_t next_ = 0;   // instruction to be put out
  std::size_t told_ = 0;   // instructions confirmed
  std::size_t asked_ = 0;  // answers that are owed
  bool greeting_ = false, sending_ = false, held_ = false;
  const LoadMarker* paused_ = nullptr;
  Vec head_;
};

}  // namespace dotlane
