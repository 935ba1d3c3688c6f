// The link to dot-lane-simcutter: starts the program, sends the job with flow control, passes on what it reports.
#pragma once

#include <QLocalSocket>
#include <QProcess>
#include <QTimer>

#include "device/cutter_link.hpp"

namespace dotlane {

class SimCutterLink : public CutterLink {
  Q_OBJECT
 public:
  explicit SimCutterLink(QObject* parent = nullptr);
  ~SimCutterLink() override;

  [[nodiscard]] Capabilities capabilities() const override;
  void open() override;
  void send(const Shipment& shipment) override;
  void allow(std::size_t bytes) override;
  void confirmLoaded(const std::vector<std::string>& holders) override;
  void hold() override;
  void resume() override;
  void cancel() override;
  void setTimeScale(double scale) override;
  void close() override;

  /// How long a cutter that should speak may stay silent before the run is given up.
  void setPatience(int ms) { patience_.setInterval(ms); }
  /// Another program that speaks the same language; found beside the application when empty.
  void setProgram(const QString& program) { program_ = program; }
  void keepMat(const QString& file) override { mat_ = file; }
  void recall() override;

  /// The cutter's process, for tests that end it in the middle of a job.
  [[nodiscard]] QProcess& process() { return process_; }

 private:
  void launch();
  void readLines();
  void handle(const QByteArray& line);
  void sendMore();
  void say(const std::string& line);
  void finish(Outcome outcome, const QString& problem);

  /// The cutter owes an answer from now on, or owes none (while hands are at work).
  void expectAnswer(bool owes);

  QProcess process_;
  QLocalSocket socket_;
  QTimer patience_;
  QString program_, name_, mat_;
  Shipment shipment_;
  std::size_t sent_ = 0, window_ = 0, allowed_ = 0;
  bool live_ = false;     // opened or being opened, and not ended
  bool sending_ = false;  // a stream was handed over
  bool ended_ = false, cancelling_ = false;
  double scale_ = 1;
};

}  // namespace dotlane
