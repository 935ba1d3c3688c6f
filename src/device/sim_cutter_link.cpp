#include "device/sim_cutter_link.hpp"

#include <QCoreApplication>
#include <QUuid>

#include "core/format/journal.hpp"
#include "core/format/said_json.hpp"
#include "device/wire.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

QString problem_in(const wire::Json& message) {
  return message.contains("problem") ? QString::fromStdString(sentence(to_said(message.at("problem")))) : QString();
}

}  // namespace

SimCutterLink::SimCutterLink(QObject* parent) : CutterLink(parent) {
  connect(&socket_, &QLocalSocket::readyRead, this, &SimCutterLink::readLines);
  connect(&socket_, &QLocalSocket::disconnected, this, [this] {
    finish(Outcome::failed, tr("The connection to the cutter was lost; the work on the mat stays as it is."));
  });
  connect(&process_, &QProcess::readyReadStandardOutput, this, [this] {
    if (process_.readAllStandardOutput().contains("listening")) socket_.connectToServer(name_);
  });
  connect(&process_, &QProcess::errorOccurred, this, [this](QProcess::ProcessError error) {
    if (error == QProcess::FailedToStart)
      finish(Outcome::failed, tr("The simulated cutter cannot be started (%1).").arg(process_.program()));
  });
  connect(&socket_, &QLocalSocket::errorOccurred, this, [this](QLocalSocket::LocalSocketError error) {
    if (error != QLocalSocket::PeerClosedError)
      finish(Outcome::failed, tr("The cutter cannot be reached: %1").arg(socket_.errorString()));
  });
  patience_.setSingleShot(true);
  patience_.setInterval(10'000);
  connect(&patience_, &QTimer::timeout, this, [this] {
    if (cancelling_) {
      finish(Outcome::cancelled,
             tr("The cutter did not answer; it may still be moving: switch it off before you reach in."));
    } else {
      finish(Outcome::failed, tr("The cutter does not answer; the work on the mat stays as it is."));
    }
  });
  connect(&process_, &QProcess::finished, this, [this] {
    if (socket_.state() == QLocalSocket::UnconnectedState)
      finish(Outcome::failed,
             tr("The simulated cutter ended: %1").arg(QString::fromUtf8(process_.readAllStandardError().trimmed())));
  });
}

SimCutterLink::~SimCutterLink() {
  live_ = false;
  socket_.abort();
  if (process_.state() != QProcess::NotRunning && !process_.waitForFinished(1000)) {
    process_.kill();
    process_.waitForFinished(1000);
  }
}

Capabilities SimCutterLink::capabilities() const {
  return {tr("simulated cutter"), true, !mat_.isEmpty(), true, true, true, wire::kWindow};
}

void SimCutterLink::launch() {
  name_ = QStringLiteral("dot-lane-") + QUuid::createUuid().toString(QUuid::Id128);
  const QString program =
      program_.isEmpty() ? QCoreApplication::applicationDirPath() + QStringLiteral("/dot-lane-simcutter") : program_;
  QStringList words{QStringLiteral("--once"), QStringLiteral("--socket"), name_};
  if (!mat_.isEmpty()) words << QStringLiteral("--mat") << mat_;
  process_.start(program, words);
}

void SimCutterLink::expectAnswer(bool owes) { owes&& live_ ? patience_.start() : patience_.stop(); }

void SimCutterLink::open() {
  if (live_) return;
  if (process_.state() != QProcess::NotRunning) {
    socket_.abort();
    process_.waitForFinished(500);
    if (process_.state() != QProcess::NotRunning) process_.kill(), process_.waitForFinished(500);
  }
  socket_.abort();
  sending_ = ended_ = cancelling_ = false;
  sent_ = window_ = allowed_ = 0;
  live_ = true;
  expectAnswer(true);
  launch();
}

void SimCutterLink::send(const Shipment& shipment) {
  if (!live_) return;
  shipment_ = shipment;
  sending_ = true;
  say(wire::line_of({{"op", "start"},
                     {"job", shipment_.job},
                     {"part", shipment_.part},
                     {"machine", wire::from_machine(shipment_.machine)},
                     {"holders", shipment_.holders},
                     {"scale", scale_},
                     {"printed", wire::from_printed(shipment_.printed)},
                     {"physics", wire::from_physics(shipment_.physics)}}));
  if (cancelling_) say(wire::line_of({{"op", "cancel"}}));
  expectAnswer(true);
}

void SimCutterLink::allow(std::size_t bytes) {
  allowed_ = std::max(allowed_, bytes);
  sendMore();
}

void SimCutterLink::recall() { say(wire::line_of({{"op", "recall"}})); }

void SimCutterLink::say(const std::string& line) { socket_.write(line.data(), static_cast<qint64>(line.size())); }

void SimCutterLink::sendMore() {
  if (!live_ || !sending_) return;
  const std::string& text = shipment_.stream.text;
  const std::size_t to = std::min(allowed_, text.size());
  while (sent_ < to && window_ > 0) {
    const std::size_t n = std::min({to - sent_, window_, std::size_t{16384}});
    const std::string part = text.substr(sent_, n);
    say(wire::line_of({{"op", "data"}, {"at", sent_}, {"text", part}, {"crc", checksum_of(part)}}));
    sent_ += n;
    window_ -= n;
  }
  if (sent_ == text.size() && !ended_) {
    ended_ = true;
    say(wire::line_of({{"op", "end"}, {"bytes", sent_}}));
  }
}

void SimCutterLink::readLines() {
  while (socket_.canReadLine()) {
    try {
      handle(socket_.readLine());
    } catch (const wire::Json::exception& e) {
      finish(Outcome::failed, tr("The cutter sent something unreadable: %1").arg(QString::fromUtf8(e.what())));
    }
  }
}

void SimCutterLink::handle(const QByteArray& line) {
  const auto message = wire::Json::parse(line.begin(), line.end());
  const auto event = message.at("ev").get<std::string>();
  if (!live_) return;
  expectAnswer(event != "pause" && event != "wrong-load" && event != "ready");
  if (event == "ready") {
    window_ = message.at("window").get<std::size_t>();
    emit opened({message.value("job", std::string()), message.value("part", 0), message.value("done", std::size_t{0}),
                 message.value("run_mm", 0.0), message.value("seconds", 0.0)});
  } else if (event == "credit") {
    window_ += message.at("bytes").get<std::size_t>();
    sendMore();
  } else if (event == "again") {
    const auto at = message.at("at").get<std::size_t>();
    if (at > sent_) return;
    window_ += sent_ - at;
    sent_ = at;
    ended_ = false;
    sendMore();
  } else if (event == "recalled") {
    emit marked(wire::to_marks(message.at("marks")));
  } else if (event == "progress") {
    const auto marks = wire::to_marks(message.at("marks"));
    if (!marks.empty()) emit marked(marks);
    emit moved({{message.at("x").get<double>(), message.at("y").get<double>()},
                message.at("down").get<bool>(),
                message.at("seconds").get<double>(),
                message.at("tool").get<std::string>(),
                message.at("mat").get<int>()});
    emit done(message.value("done", std::size_t{0}), message.value("run_mm", 0.0));
  } else if (event == "marks") {
    emit registered(wire::to_registration(message));
  } else if (event == "pause") {
    LoadMarker wanted{true, message.at("number").get<int>(), message.at("mat").get<int>(), {}};
    for (const auto& tool : message.at("holders")) wanted.holders.push_back(tool.get<std::string>());
    emit paused(wanted);
  } else if (event == "wrong-load") {
    emit wrongLoad(problem_in(message));
  } else if (event == "end") {
    const auto outcome = message.at("outcome").get<std::string>();
    finish(outcome == "done"        ? Outcome::done
           : outcome == "cancelled" ? Outcome::cancelled
                                    : Outcome::failed,
           problem_in(message));
  }
}

void SimCutterLink::finish(Outcome outcome, const QString& problem) {
  if (!live_) return;
  live_ = false;
  patience_.stop();
  // What it said before it went still counts.
  if (socket_.state() == QLocalSocket::ConnectedState) socket_.disconnectFromServer();
  // One that does not go by itself is ended when the next run begins, or with the program.
  emit ended(outcome, problem);
}

void SimCutterLink::close() {
  live_ = false;
  patience_.stop();
  if (socket_.state() == QLocalSocket::ConnectedState) socket_.disconnectFromServer();
}

void SimCutterLink::confirmLoaded(const std::vector<std::string>& holders) {
  say(wire::line_of({{"op", "loaded"}, {"holders", holders}}));
  expectAnswer(true);
}

void SimCutterLink::hold() {
  say(wire::line_of({{"op", "hold"}}));
  expectAnswer(false);
}

void SimCutterLink::resume() {
  say(wire::line_of({{"op", "resume"}}));
  expectAnswer(true);
}

void SimCutterLink::cancel() {
  cancelling_ = true;
  expectAnswer(true);
  if (socket_.state() == QLocalSocket::ConnectedState) say(wire::line_of({{"op", "cancel"}}));
}

void SimCutterLink::setTimeScale(double scale) {
  scale_ = scale;
  if (live_ && sending_ && socket_.state() == QLocalSocket::ConnectedState)
    say(wire::line_of({{"op", "scale"}, {"scale", scale}}));
}

}  // namespace dotlane
