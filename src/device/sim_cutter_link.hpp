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

  /// The cutter's process, for tests that end it in the middle of a job.
  [[nodiscard]] QProcess& process() { return process_; }

 private:
  void launch();
  void readLines();
  void handle(const QByteArray& line);
  void sendMore();
  void send(const std::string& line);
  void finish(Outcome outcome, const std::string& problem);

  QProcess process_;
  QLocalSocket socket_;
  QString name_;
  Job job_;
  std::vector<std::string> holders_;
  std::size_t sent_ = 0, window_ = 0;
  bool running_ = false, ended_ = false, cancelling_ = false;
  double scale_ = 1;
  RunRecord record_;
};

}  // namespace dotlane
