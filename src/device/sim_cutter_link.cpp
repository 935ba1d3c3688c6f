#include "device/sim_cutter_link.hpp"

#include <QCoreApplication>
#include <QUuid>

#include "device/wire.hpp"

namespace dotlane {

SimCutterLink::SimCutterLink(QObject* parent) : CutterLink(parent) {
  connect(&socket_, &QLocalSocket::readyRead, this, &SimCutterLink::readLines);
  connect(&socket_, &QLocalSocket::disconnected, this, [this] {
    finish(Outcome::failed, "the connection to the cutter was lost; the work on the mat stays as it is");
  });
  connect(&process_, &QProcess::readyReadStandardOutput, this, [this] {
    if (process_.readAllStandardOutput().contains("listening")) socket_.connectToServer(name_);
  });
  connect(&process_, &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
    if (error == QProcess::FailedToStart) {
      finish(Outcome::failed, "the simulated cutter cannot be started (" + process_.program().toStdString() + ")");
    }
  });
  connect(&socket_, &QLocalSocket::errorOccurred, this, [this](QLocalSocket::LocalSocketError error) {
    if (error != QLocalSocket::PeerClosedError)
      finish(Outcome::failed, "the cutter cannot be reached: " + socket_.errorString().toStdString());
  });
  patience_.setSingleShot(true);
  patience_.setInterval(10'000);
  connect(&patience_, &QTimer::timeout, this, [this] {
    if (cancelling_) {
      finish(Outcome::cancelled,
             "the cutter did not answer; it may still be moving: switch it off before you reach in");
    } else {
      finish(Outcome::failed, "the cutter does not answer; the work on the mat stays as it is");
    }
  });
  connect(&process_, &QProcess::finished, this, [this] {
    if (socket_.state() == QLocalSocket::UnconnectedState) {
      finish(Outcome::failed, "the simulated cutter ended: " + process_.readAllStandardError().trimmed().toStdString());
    }
  });
}

SimCutterLink::~SimCutterLink() {
  running_ = false;
  socket_.abort();
  if (process_.state() != QProcess::NotRunning && !process_.waitForFinished(1000)) {
    process_.kill();
    process_.waitForFinished(1000);
  }
}

void SimCutterLink::launch() {
  name_ = QStringLiteral("dot-lane-") + QUuid::createUuid().toString(QUuid::Id128);
  const QString program =
      program_.isEmpty() ? QCoreApplication::applicationDirPath() + QStringLiteral("/dot-lane-simcutter") : program_;
  process_.start(program, {QStringLiteral("--once"), QStringLiteral("--socket"), name_});
}

void SimCutterLink::expectAnswer(bool owes) { owes&& running_ ? patience_.start() : patience_.stop(); }

void SimCutterLink::start(const Job& job, const std::vector<std::string>& holders) {
  if (running_) return;
  if (process_.state() != QProcess::NotRunning) {
    socket_.abort();
    process_.waitForFinished(500);
    if (process_.state() != QProcess::NotRunning) process_.kill(), process_.waitForFinished(500);
  }
  job_ = job;
  holders_ = holders;
  sent_ = window_ = 0;
  ended_ = cancelling_ = false;
  record_ = {};
  running_ = true;
  expectAnswer(true);
  launch();
}

void SimCutterLink::send(const std::string& line) { socket_.write(line.data(), static_cast<qint64>(line.size())); }

void SimCutterLink::sendMore() {
  while (sent_ < job_.hpgl.size() && window_ > 0) {
    const std::size_t n = std::min({job_.hpgl.size() - sent_, window_, std::size_t{16384}});
    send(wire::line_of({{"op", "data"}, {"text", job_.hpgl.substr(sent_, n)}}));
    sent_ += n;
    window_ -= n;
  }
  if (sent_ == job_.hpgl.size() && !ended_) {
    ended_ = true;
    send(wire::line_of({{"op", "end"}}));
  }
}

void SimCutterLink::readLines() {
  while (socket_.canReadLine()) {
    try {
      handle(socket_.readLine());
    } catch (const wire::Json::exception& e) {
      finish(Outcome::failed, std::string("the cutter sent something unreadable: ") + e.what());
    }
  }
}

void SimCutterLink::handle(const QByteArray& line) {
  const auto message = wire::Json::parse(line.begin(), line.end());
  const auto event = message.at("ev").get<std::string>();
  if (!running_) return;
  expectAnswer(event != "pause" && event != "wrong-load");
  if (event == "ready") {
    window_ = message.at("window").get<std::size_t>();
    send(wire::line_of({{"op", "start"},
                        {"machine", wire::from_machine(job_.machine)},
                        {"holders", holders_},
                        {"scale", scale_},
                        {"printed", wire::from_printed(job_.printed)}}));
    if (cancelling_) send(wire::line_of({{"op", "cancel"}}));
    sendMore();
  } else if (event == "credit") {
    window_ += message.at("bytes").get<std::size_t>();
    sendMore();
  } else if (event == "progress") {
    for (auto& mark : wire::to_marks(message.at("marks"))) {
      auto& mm = record_.marked_mm[mark.tool];
      for (std::size_t i = 1; i < mark.points.size(); ++i) mm += distance(mark.points[i - 1], mark.points[i]);
      record_.marks.push_back(std::move(mark));
    }
    record_.seconds = message.at("seconds").get<double>();
    emit moved({{message.at("x").get<double>(), message.at("y").get<double>()},
                message.at("down").get<bool>(),
                record_.seconds,
                message.at("tool").get<std::string>(),
                message.at("mat").get<int>()});
  } else if (event == "marks") {
    record_.registrations.push_back(wire::to_registration(message));
  } else if (event == "pause") {
    LoadMarker wanted{true, message.at("number").get<int>(), message.at("mat").get<int>(), {}};
    for (const auto& tool : message.at("holders")) wanted.holders.push_back(tool.get<std::string>());
    ++record_.pauses;
    emit paused(wanted);
  } else if (event == "wrong-load") {
    emit wrongLoad(QString::fromStdString(message.at("problem").get<std::string>()));
  } else if (event == "end") {
    const auto outcome = message.at("outcome").get<std::string>();
    if (message.contains("marked_mm")) record_.marked_mm = message.at("marked_mm").get<std::map<std::string, double>>();
    finish(outcome == "done"        ? Outcome::done
           : outcome == "cancelled" ? Outcome::cancelled
                                    : Outcome::failed,
           message.value("problem", std::string()));
  }
}

void SimCutterLink::finish(Outcome outcome, const std::string& problem) {
  if (!running_) return;
  running_ = false;
  patience_.stop();
  record_.outcome = outcome;
  record_.problem = problem;
  if (socket_.state() == QLocalSocket::ConnectedState) socket_.disconnectFromServer();
  // One that does not go by itself is ended when the next run begins, or with the program.
  emit finished(record_);
}

void SimCutterLink::confirmLoaded(const std::vector<std::string>& holders) {
  send(wire::line_of({{"op", "loaded"}, {"holders", holders}}));
  expectAnswer(true);
}

void SimCutterLink::hold() {
  send(wire::line_of({{"op", "hold"}}));
  expectAnswer(false);
}

void SimCutterLink::resume() {
  send(wire::line_of({{"op", "resume"}}));
  expectAnswer(true);
}

void SimCutterLink::cancel() {
  cancelling_ = true;
  expectAnswer(true);
  if (socket_.state() == QLocalSocket::ConnectedState) send(wire::line_of({{"op", "cancel"}}));
}

void SimCutterLink::setTimeScale(double scale) {
  scale_ = scale;
  if (running_ && socket_.state() == QLocalSocket::ConnectedState) {
    send(wire::line_of({{"op", "scale"}, {"scale", scale}}));
  }
}

}  // namespace dotlane
