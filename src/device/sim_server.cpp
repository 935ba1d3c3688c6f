#include "device/sim_server.hpp"

#include "device/wire.hpp"

namespace dotlane {
namespace {

constexpr int kTickMs = 16;
constexpr qint64 kReportMs = 33;
constexpr double kFastSlice = 20;  // seconds of cutter time in one go at full speed

std::vector<std::string> texts(const wire::Json& list) {
  std::vector<std::string> out;
  for (const auto& item : list) out.push_back(item.get<std::string>());
  return out;
}

}  // namespace

SimServer::SimServer(QObject* parent) : QObject(parent) {
  connect(&server_, &QLocalServer::newConnection, this, &SimServer::accept);
  connect(&timer_, &QTimer::timeout, this, &SimServer::tick);
}

SimServer::~SimServer() {
  if (client_) client_->disconnect(this);  // it goes with the server, and must not call back into half of one
}

bool SimServer::listen(const QString& name) {
  server_.setSocketOptions(QLocalServer::UserAccessOption);
  return server_.listen(name);
}

void SimServer::accept() {
  QLocalSocket* next = server_.nextPendingConnection();
  if (client_) {
    next->write(QByteArray::fromStdString(
        wire::line_of({{"ev", "end"}, {"outcome", "failed"}, {"problem", "the cutter is busy with another job"}})));
    next->disconnectFromServer();
    return;
  }
  client_ = next;
  connect(client_, &QLocalSocket::readyRead, this, &SimServer::readLines);
  connect(client_, &QLocalSocket::disconnected, this, [this] {
    timer_.stop();
    cutter_.reset();
    client_->deleteLater();
    client_ = nullptr;
    emit clientGone();
  });
  send(wire::line_of({{"ev", "ready"}, {"window", wire::kWindow}}));
}

void SimServer::send(const std::string& line) {
  if (client_) client_->write(line.data(), static_cast<qint64>(line.size()));
}

void SimServer::readLines() {
  while (client_ && client_->canReadLine()) {
    const QByteArray line = client_->readLine();
    try {
      handle(line);
    } catch (const wire::Json::exception& e) {
      send(wire::line_of({{"ev", "end"}, {"outcome", "failed"}, {"problem", std::string("bad message: ") + e.what()}}));
      over_ = true;
      timer_.stop();
    }
  }
}

void SimServer::handle(const QByteArray& line) {
  const auto message = wire::Json::parse(line.begin(), line.end());
  const auto op = message.at("op").get<std::string>();
  if (op == "start") {
    cutter_ = std::make_unique<Cutter>(wire::to_machine(message.at("machine")), texts(message.at("holders")),
                                       wire::to_printed(message.value("printed", wire::Json::array())));
    scale_ = message.value("scale", 1.0);
    over_ = pause_told_ = false;
    since_tick_.start();
    since_report_.start();
    timer_.start(scale_ > 0 ? kTickMs : 0);
    return;
  }
  if (!cutter_ || over_) return;
  if (op == "data") {
    cutter_->feed(message.at("text").get<std::string>());
  } else if (op == "end") {
    cutter_->end();
  } else if (op == "loaded") {
    const auto problem = cutter_->loaded(texts(message.at("holders")));
    if (problem.empty()) {
      pause_told_ = false;
    } else {
      send(wire::line_of({{"ev", "wrong-load"}, {"problem", problem}}));
    }
  } else if (op == "hold") {
    cutter_->hold();
  } else if (op == "resume") {
    cutter_->resume();
  } else if (op == "cancel") {
    cutter_->cancel();
    finish();
  } else if (op == "scale") {
    scale_ = message.at("scale").get<double>();
    timer_.start(scale_ > 0 ? kTickMs : 0);
  }
}

void SimServer::tick() {
  if (!cutter_ || over_) return;
  const double real = static_cast<double>(since_tick_.restart()) / 1000;
  cutter_->advance(scale_ > 0 ? real * scale_ : kFastSlice);
  if (const auto credit = cutter_->take_credit()) send(wire::line_of({{"ev", "credit"}, {"bytes", credit}}));
  const auto state = cutter_->state();
  const bool stopped = state != Cutter::State::running && state != Cutter::State::waiting;
  if (stopped || since_report_.elapsed() >= kReportMs) report();
  if (state == Cutter::State::paused && !pause_told_) {
    pause_told_ = true;
    const auto& wanted = cutter_->wanted();
    send(wire::line_of({{"ev", "pause"}, {"number", wanted.number}, {"mat", wanted.mat}, {"holders", wanted.holders}}));
  }
  if (state == Cutter::State::finished || state == Cutter::State::failed) finish();
  // Nothing to do until somebody acts or sends: let the processor rest.
  if (scale_ <= 0) timer_.setInterval(state == Cutter::State::running ? 0 : 2);
}

void SimServer::report() {
  since_report_.restart();
  const Vec at = cutter_->position();
  for (const auto& registration : cutter_->take_registrations())
    send(wire::line_of(wire::from_registration(registration)));
  const auto marks = cutter_->take_marks();
  send(wire::line_of({{"ev", "progress"},
                      {"x", at.x},
                      {"y", at.y},
                      {"down", cutter_->down()},
                      {"seconds", cutter_->seconds()},
                      {"tool", cutter_->tool()},
                      {"mat", cutter_->mat()},
                      {"marks", wire::from_marks(marks)}}));
}

void SimServer::finish() {
  report();
  timer_.stop();
  over_ = true;
  const auto state = cutter_->state();
  const char* outcome = state == Cutter::State::finished    ? "done"
                        : state == Cutter::State::cancelled ? "cancelled"
                                                            : "failed";
  send(wire::line_of({{"ev", "end"},
                      {"outcome", outcome},
                      {"problem", cutter_->problem()},
                      {"pauses", cutter_->pauses()},
                      {"seconds", cutter_->seconds()},
                      {"marked_mm", cutter_->marked_mm()}}));
}

}  // namespace dotlane
