#include "device/port_link.hpp"

#include <fcntl.h>
#include <sys/file.h>
#include <termios.h>
#include <unistd.h>

#include <algorithm>
#include <cerrno>
#include <cstring>
#include <utility>

#include "core/job/hpgl.hpp"

namespace dotlane {
namespace {

struct Speed {
  int baud;
  speed_t code;
};
constexpr Speed kSpeeds[]{{1200, B1200},   {2400, B2400},   {4800, B4800},   {9600, B9600},
                          {19200, B19200}, {38400, B38400}, {57600, B57600}, {115200, B115200}};

/// How long the longest lowering of a stream takes at its own speed, ms, and half as much for starting and stopping.
int longest_ms(const Shipment& shipment) {
  HpglReader reader(shipment.machine.mat.height_mm);
  std::vector<Command> commands;
  if (!reader.feed(shipment.stream.text, commands)) return 0;
  double speed = 0, way = 0, longest = 0;
  Vec at;
  for (const auto& command : commands) {
    if (command.kind == Command::Kind::speed) speed = command.number;
    if (command.kind != Command::Kind::down) way = 0;
    for (const Vec p : command.points) {
      if (command.kind == Command::Kind::down) way += distance(at, p);
      at = p;
    }
    if (speed > 0) longest = std::max(longest, way / speed);
  }
  constexpr double kMargin = 1.5, kMs = 1000;
  return static_cast<int>(longest * kMargin * kMs);
}

}  // namespace

const std::vector<int>& port_speeds() {
  static const std::vector<int> all = [] {
    std::vector<int> out;
    for (const auto& speed : kSpeeds) out.push_back(speed.baud);
    return out;
  }();
  return all;
}

PortLink::PortLink(PortSettings settings, QObject* parent) : CutterLink(parent), settings_(std::move(settings)) {
  patience_.setSingleShot(true);
  connect(&patience_, &QTimer::timeout, this, [this] {
    lost(
        greeting_
            ? tr("Nothing answers on %1: is the cutter on, and the speed right?").arg(settings_.path)
            : tr("The cutter on %1 does not answer any more; the work on the mat stays as it is.").arg(settings_.path));
  });
}

PortLink::~PortLink() { close(); }

Capabilities PortLink::capabilities() const {
  return {settings_.path, settings_.asks, false, settings_.asks, false, false, 0};
}

void PortLink::open() {
  close();
  const std::string path = settings_.path.toStdString();
  file_ = ::open(path.c_str(), O_RDWR | O_NOCTTY | O_NONBLOCK | O_CLOEXEC);
  termios t{};
  if (file_ < 0 || ::tcgetattr(file_, &t) != 0) {
    const QString why = QString::fromLocal8Bit(std::strerror(errno));
    if (file_ >= 0) ::close(file_), file_ = -1;
    emit ended(Outcome::failed, tr("%1 cannot be used as a port: %2").arg(settings_.path, why));
    return;
  }
  // Another window or program that drives it would have its strokes mixed with these. The lock goes with the file.
  if (::flock(file_, LOCK_EX | LOCK_NB) != 0) {
    ::close(file_), file_ = -1;
    emit ended(Outcome::failed,
               tr("%1 is driven by another window or program; end the run there first.").arg(settings_.path));
    return;
  }
  ::cfmakeraw(&t);
  t.c_cflag |= CLOCAL | CREAD;
  t.c_cflag &= ~static_cast<tcflag_t>(CRTSCTS);
  t.c_iflag &= ~static_cast<tcflag_t>(IXON | IXOFF | IXANY);
  if (settings_.flow == PortSettings::Flow::xon_xoff) t.c_iflag |= IXON;
  if (settings_.flow == PortSettings::Flow::rts_cts) t.c_cflag |= CRTSCTS;
  for (const auto& speed : kSpeeds) {
    if (speed.baud == settings_.baud) ::cfsetispeed(&t, speed.code), ::cfsetospeed(&t, speed.code);
  }
  ::tcsetattr(file_, TCSANOW, &t);
  ::tcflush(file_, TCIOFLUSH);
  in_ = std::make_unique<QSocketNotifier>(file_, QSocketNotifier::Read);
  out_ = std::make_unique<QSocketNotifier>(file_, QSocketNotifier::Write);
  out_->setEnabled(false);
  connect(in_.get(), &QSocketNotifier::activated, this, &PortLink::readSome);
  connect(out_.get(), &QSocketNotifier::activated, this, &PortLink::writeSome);
  heard_.clear(), outgoing_.clear();
  allowed_ = next_ = told_ = asked_ = 0;
  longest_ms_ = 0;
  sending_ = held_ = false;
  paused_ = nullptr;
  greeting_ = settings_.asks;
  if (!greeting_) {
    QTimer::singleShot(0, this, [this] {
      if (file_ >= 0) emit opened({});
    });
    return;
  }
  // What waits there is dropped first; an answer to what was asked before may still be on its way and is not listened
  // to.
  outgoing_ = "\x1b.K";
  patience_.start(patience_ms_);
  writeSome();
  constexpr int kQuietMs = 250;
  QTimer::singleShot(kQuietMs, in_.get(), [this] {
    ::tcflush(file_, TCIFLUSH);
    heard_.clear();
    outgoing_ += "OA;";
    ++asked_;
    writeSome();
  });
}

void PortLink::send(const Shipment& shipment) {
  shipment_ = shipment;
  longest_ms_ = longest_ms(shipment_);
  sending_ = true;
  next_ = told_ = 0;
}

void PortLink::allow(std::size_t bytes) {
  allowed_ = std::max(allowed_, bytes);
  writeSome();
}

void PortLink::writeSome() {
  if (file_ < 0) return;
  constexpr qsizetype kAtOnce = 512;
  const auto& ends = shipment_.stream.ends;
  while (sending_ && !held_ && !paused_ && outgoing_.size() < kAtOnce && next_ < ends.size() &&
         ends[next_] <= allowed_) {
    const auto stop = std::find_if(shipment_.pauses.begin(), shipment_.pauses.end(),
                                   [&](const auto& pause) { return pause.first == next_; });
    if (stop != shipment_.pauses.end()) {
      if (told_ < next_ && settings_.asks) break;  // all before it first
      if (!outgoing_.isEmpty()) break;
      paused_ = &stop->second;
      patience_.stop();
      emit paused(*paused_);
      return;
    }
    const std::size_t from = next_ == 0 ? 0 : ends[next_ - 1];
    outgoing_ += QByteArray(shipment_.stream.text.data() + from, static_cast<qsizetype>(ends[next_] - from));
    ++next_;
    if (settings_.asks) outgoing_ += "OA;", ++asked_;
  }
  while (!outgoing_.isEmpty()) {
    const ssize_t n =
        ::write(file_, outgoing_.constData(), static_cast<std::size_t>(std::min(outgoing_.size(), kAtOnce)));
    if (n < 0 && errno == EINTR) continue;
    if (n < 0 && errno == EIO) return unplugged();
    if (n < 0 && errno != EAGAIN)
      return lost(tr("The line to %1 is dead: %2").arg(settings_.path, QString::fromLocal8Bit(std::strerror(errno))));
    if (n <= 0) break;
    outgoing_.remove(0, n);
  }
  if (out_) out_->setEnabled(!outgoing_.isEmpty());
  if (asked_ > 0 && !paused_ && !held_) {
    if (!patience_.isActive()) patience_.start(patience_ms_ + longest_ms_);
  }
  if (!settings_.asks && sending_ && outgoing_.isEmpty() && told_ < next_) {  // it can be no surer than this
    told_ = next_;
    confirm();
  }
}

void PortLink::readSome() {
  char buffer[512];
  for (;;) {
    const ssize_t n = ::read(file_, buffer, sizeof buffer);
    if (n < 0 && errno == EINTR) continue;
    if (n < 0 && errno == EAGAIN) break;
    if (n <= 0) return unplugged();
    heard_.append(buffer, static_cast<qsizetype>(n));
    constexpr qsizetype kMost = 4096;
    if (heard_.size() > kMost)
      return lost(tr("What comes from %1 makes no sense: is the speed right?").arg(settings_.path));
  }
  for (qsizetype end = heard_.indexOf('\r'); end >= 0 && file_ >= 0; end = heard_.indexOf('\r')) {
    const QByteArray line = heard_.left(end).trimmed();
    heard_.remove(0, end + 1);
    answered(line);
  }
}

void PortLink::answered(const QByteArray& line) {
  if (greeting_ && asked_ == 0) return;
  const auto parts = line.split(',');
  bool x_is = false, y_is = false;
  const double x = parts.value(0).toDouble(&x_is), y = parts.value(1).toDouble(&y_is);
  if (parts.size() < 2 || !x_is || !y_is || asked_ == 0)
    return lost(tr("The cutter on %1 answers \"%2\", which is no place.")
                    .arg(settings_.path, QString::fromLatin1(line.left(20))));
  const bool down = parts.value(2).trimmed() == "1";
  --asked_;
  patience_.stop();
  if (asked_ > 0) patience_.start(patience_ms_ + longest_ms_);
  if (std::exchange(greeting_, false)) {
    DeviceMemory memory;
    memory.at = Vec{x / kHpglPerMm, y / kHpglPerMm};  // y up: the mat is not known yet
    memory.down = down;
    emit opened(memory);
    return;
  }
  head_ = {x / kHpglPerMm, shipment_.machine.mat.height_mm - y / kHpglPerMm};
  ++told_;
  emit moved({head_, down, 0, {}, 1});
  confirm();
  writeSome();
}

void PortLink::confirm() {
  const auto& ends = shipment_.stream.ends;
  if (told_ == 0 || told_ > ends.size()) return;
  emit done(ends[told_ - 1], 0);
  if (told_ == ends.size() && sending_) finish(Outcome::done, {});
}

void PortLink::confirmLoaded(const std::vector<std::string>& holders) {
  if (!paused_) return;
  for (std::size_t i = 0; i < paused_->holders.size(); ++i) {
    const bool fits = paused_->holders[i].empty() || (i < holders.size() && holders[i] == paused_->holders[i]);
    if (fits) continue;
    emit wrongLoad(tr("The job wants %1 in holder %2.").arg(QString::fromStdString(paused_->holders[i])).arg(i + 1));
    return;
  }
  paused_ = nullptr;
  ++next_;  // the marker itself is for people
  ++told_;
  confirm();
  writeSome();
}

void PortLink::hold() {
  held_ = true;
  patience_.stop();
}

void PortLink::resume() {
  held_ = false;
  writeSome();
}

void PortLink::cancel() {
  if (file_ < 0) return;
  // What waits is dropped, the tool comes up.
  const QByteArray stop("\x1b.K;PU;SP0;");
  const ssize_t written = ::write(file_, stop.constData(), static_cast<std::size_t>(stop.size()));
  finish(Outcome::cancelled,
         written == stop.size()
             ? QString()
             : tr("The cutter takes nothing: it may still be moving. Switch it off before you reach in."));
}

void PortLink::unplugged() {
  lost(tr("The cutter on %1 was unplugged; the work on the mat stays as it is.").arg(settings_.path));
}

void PortLink::lost(const QString& why) { finish(Outcome::failed, why); }

void PortLink::finish(Outcome outcome, const QString& problem) {
  if (file_ < 0) return;
  close();
  emit ended(outcome, problem);
}

void PortLink::close() {
  patience_.stop();
  in_.reset(), out_.reset();
  sending_ = false;
  paused_ = nullptr;
  if (file_ >= 0) {
    ::tcflush(file_, TCOFLUSH);
    ::close(file_);
  }
  file_ = -1;
}

}  // namespace dotlane
