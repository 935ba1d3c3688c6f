#include "device/sim_server.hpp"

#include <algorithm>
#include <cstdlib>
#include <iterator>
#include <utility>

#include "core/format/journal.hpp"
#include "core/format/said_json.hpp"
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
        wire::line_of({{"ev", "end"}, {"outcome", "failed"}, {"problem", from_said({"cutter-busy"})}})));
    next->disconnectFromServer();
    return;
  }
  client_ = next;
  connect(client_, &QLocalSocket::readyRead, this, &SimServer::readLines);
  connect(client_, &QLocalSocket::disconnected, this, [this] {
    client_->deleteLater();
    client_ = nullptr;
    alone_ = true;
    left_alone();
  });
  const DeviceMemory& last = memory_.last();
  send(wire::line_of({{"ev", "ready"},
                      {"window", wire::kWindow},
                      {"job", last.job},
                      {"part", last.part},
                      {"done", last.done},
                      {"run_mm", last.run_mm},
                      {"seconds", last.seconds}}));
}

/// Nobody to work for: the stroke under way is finished, the tool comes up.
void SimServer::left_alone() {
  if (cutter_ && !over_ && cutter_->state() == Cutter::State::running && cutter_->down()) return;
  if (cutter_ && !over_) note();
  timer_.stop();
  cutter_.reset();
  over_ = true, alone_ = false;
  emit clientGone();
}

void SimServer::note() {
  auto marks = cutter_->take_marks();
  if (memory_.is_open() && !job_.empty()) {
    const DeviceMemory now{job_, part_, cutter_->done(), cutter_->under_way_mm(), cutter_->seconds()};
    const DeviceMemory& last = memory_.last();
    const bool news = !marks.empty() || now.done != last.done || now.run_mm != last.run_mm;
    constexpr int kNoMemory = 8;
    // What cannot be kept must not have happened: it goes off before anybody hears of it.
    if (news && !memory_.add(now, marks)) std::_Exit(kNoMemory);
  }
  unsaid_.insert(unsaid_.end(), std::make_move_iterator(marks.begin()), std::make_move_iterator(marks.end()));
}

void SimServer::meet(FaultKind fault) {
  constexpr int kPowerIsOff = 9;
  switch (fault) {
    case FaultKind::power:
      note();
      std::_Exit(kPowerIsOff);
    case FaultKind::link:
      if (client_) client_->abort();
      break;
    case FaultKind::garbage:
      garbles_ = true;
      break;
    case FaultKind::full:
      full_.start();
      break;
    default:
      break;
  }
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
      send(wire::line_of(
          {{"ev", "end"}, {"outcome", "failed"}, {"problem", from_said({"cutter-message", {{"why", e.what()}}})}}));
      over_ = true;
      timer_.stop();
    }
  }
}

void SimServer::handle(const QByteArray& line) {
  const auto message = wire::Json::parse(line.begin(), line.end());
  const auto op = message.at("op").get<std::string>();
  if (op == "start") {
    job_ = message.value("job", std::string()), part_ = message.value("part", 1);
    Physics physics = wire::to_physics(message.value("physics", wire::Json()));
    cutter_ = std::make_unique<Cutter>(wire::to_machine(message.at("machine")), texts(message.at("holders")),
                                       wire::to_printed(message.value("printed", wire::Json::array())));
    const double clock = memory_.last().job == job_ ? memory_.last().seconds : 0;
    faults_.clear();
    for (const auto& fault : physics.faults) {
      const bool of_line = fault.kind == FaultKind::link || fault.kind == FaultKind::power ||
                           fault.kind == FaultKind::garbage || fault.kind == FaultKind::full;
      constexpr double kMoment = 1e-6;  // s: what ended the stream before is over
      if (of_line && fault.at_s > clock + kMoment) faults_.push_back(fault);
    }
    std::stable_sort(faults_.begin(), faults_.end(), [](const Fault& a, const Fault& b) { return a.at_s < b.at_s; });
    cutter_->set_physics(std::move(physics));
    cutter_->set_part(part_);
    cutter_->set_clock(clock);
    if (memory_.is_open() && !job_.empty()) (void)memory_.begin(job_, part_);
    scale_ = message.value("scale", 1.0);
    over_ = pause_told_ = garbles_ = false;
    received_ = kept_back_ = met_ = 0;
    full_.invalidate();
    unsaid_.clear();
    since_tick_.start();
    since_report_.start();
    timer_.start(scale_ > 0 ? kTickMs : 0);
    return;
  }
  if (op == "recall") {
    if (cutter_) note();
    memory_.recall([this](std::vector<Mark> marks) {
      send(wire::line_of({{"ev", "recalled"}, {"marks", wire::from_marks(marks)}}));
    });
    return;
  }
  if (!cutter_ || over_) return;
  if (op == "data") {
    auto text = message.at("text").get<std::string>();
    if (message.value("at", received_) != received_) return;  // it follows what has to be sent again
    if (std::exchange(garbles_, false) && !text.empty())
      text[text.size() / 2] = static_cast<char>(text[text.size() / 2] ^ 5);
    if (message.contains("crc") && message.at("crc").get<unsigned>() != checksum_of(text)) {
      send(wire::line_of({{"ev", "again"}, {"at", received_}}));
      return;
    }
    received_ += text.size();
    cutter_->feed(text);
  } else if (op == "end") {
    if (message.value("bytes", received_) == received_) cutter_->end();
  } else if (op == "loaded") {
    const auto problem = cutter_->loaded(texts(message.at("holders")));
    if (!problem) {
      pause_told_ = false;
    } else {
      send(wire::line_of({{"ev", "wrong-load"}, {"problem", from_said(*problem)}}));
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
  double budget = scale_ > 0 ? real * scale_ : kFastSlice;
  while (met_ < faults_.size() && cutter_ && !over_) {
    const double until = faults_[met_].at_s - cutter_->seconds();
    if (until > budget) break;
    const double used = until > 0 ? cutter_->advance(until) : 0;
    budget -= used;
    if (used < until - 1e-9) break;  // it had to stop before
    note();
    meet(faults_[met_++].kind);
  }
  if (!cutter_ || over_) return;
  cutter_->advance(std::max(0.0, budget));
  note();
  if (alone_) return left_alone();
  constexpr int kFullMs = 400;
  kept_back_ += cutter_->take_credit();
  if (full_.isValid() && full_.elapsed() > kFullMs) full_.invalidate();
  if (kept_back_ > 0 && !full_.isValid())
    send(wire::line_of({{"ev", "credit"}, {"bytes", std::exchange(kept_back_, 0)}}));
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
  note();
  const Vec at = cutter_->position();
  for (const auto& registration : cutter_->take_registrations())
    send(wire::line_of(wire::from_registration(registration)));
  send(wire::line_of({{"ev", "progress"},
                      {"x", at.x},
                      {"y", at.y},
                      {"down", cutter_->down()},
                      {"seconds", cutter_->seconds()},
                      {"tool", cutter_->tool()},
                      {"mat", cutter_->mat()},
                      {"done", cutter_->done()},
                      {"run_mm", cutter_->under_way_mm()},
                      {"marks", wire::from_marks(std::exchange(unsaid_, {}))}}));
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
                      {"problem", from_said(cutter_->problem())},
                      {"pauses", cutter_->pauses()},
                      {"seconds", cutter_->seconds()},
                      {"marked_mm", cutter_->marked_mm()}}));
}

}  // namespace dotlane
