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

  void start(const Job& job, const std::vector<std::string>& holders) override;
  void confirmLoaded(const std::vector<std::string>& holders) override;
  void hold() override;
  void resume() override;
  void cancel() override;
  void setTimeScale(double scale) override;
  [[nodiscard]] bool running() const override { return running_; }
  [[nodiscard]] const RunRecord& record() const override { return record_; }

  /// How long a cutter that should speak may stay silent before the run is given up.
  void setPatience(int ms) { patience_.setInterval(ms); }
  /// Another program that speaks the same language; found beside the application when empty.
  void setProgram(const QString& program) { program_ = program; }

  /// The cutter's process, for tests that end it in the middle of a job.
  [[nodiscard]] QProcess& process() { return process_; }

 private:
  void launch();
  void readLines();
  void handle(const QByteArray& line);
  void sendMore();
  void send(const std::string& line);
  void finish(Outcome outcome, const std::string& problem);

  /// The cutter owes an answer from now on, or owes none (while hands are at work).
  void expectAnswer(bool owes);

  QProcess process_;
  QLocalSocket socket_;
  QTimer patience_;
  QString program_;
  QString name_;
  Job job_;
  std::vector<std::string> holders_;
  std::size_t sent_ = 0, window_ = 0;
  bool running_ = false, ended_ = false, cancelling_ = false;
  double scale_ = 1;
  RunRecord record_;
};

}  // namespace dotlane
