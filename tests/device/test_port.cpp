// A whole job over the port: a pseudo-terminal plays the line, this file the cutter at its other end.
#include "device/port_link.hpp"

#include <fcntl.h>
#include <pty.h>
#include <termios.h>
#include <unistd.h>

#include <QFile>
#include <QTemporaryDir>
#include <QTimer>
#include <random>

#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/job/cutter.hpp"
#include "core/job/hpgl.hpp"
#include "core/job/outcome.hpp"
#include "device/file_link.hpp"
#include "device/job_runner.hpp"
#include "fixtures.hpp"
#include "waiting.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

/// A cutter with a small buffer at the far end of a rig. It stays as it is when the line is cut and laid anew.
class FarCutter {
 public:
  FarCutter(Machine machine, std::vector<std::string> holders)
      : machine_(std::move(machine)), cutter_(machine_, std::move(holders)) {
    plug_in();
    QObject::connect(&timer_, &QTimer::timeout, &timer_, [this] { work(); });
    timer_.start(2);
  }
  ~FarCutter() { unplug(); }

  void plug_in() {
    int far = -1;
    REQUIRE(::openpty(&line_, &far, nullptr, nullptr, nullptr) == 0);
    termios raw{};
    ::tcgetattr(far, &raw);
    ::cfmakeraw(&raw);
    ::tcsetattr(far, TCSANOW, &raw);
    ::fcntl(line_, F_SETFL, O_NONBLOCK);
    path = QString::fromLocal8Bit(::ptsname(line_));
    far_ = far;
    stopped_ = false;
  }
  void unplug() {
    if (line_ >= 0) ::close(line_);
    if (far_ >= 0) ::close(far_);
    line_ = far_ = -1;
  }
  [[nodiscard]] bool plugged() const { return line_ >= 0; }

  QString path;
  int xoffs = 0;          ///< how often it had to stop the sender
  std::size_t most = 0;   ///< bytes that ever waited in its buffer
  std::string taken;      ///< all that it was sent, answers asked for left out
  double speed = 20'000;  ///< times as fast as the machine
  bool mute = false;      ///< it answers nothing
  std::vector<Mark> marks;
  [[nodiscard]] double seconds() const { return cutter_.seconds(); }

 private:
  void say(const QByteArray& text) {
    if (line_ >= 0 && ::write(line_, text.constData(), static_cast<std::size_t>(text.size())) < 0) return;
  }
  void work() {
    // Takes what comes while there is room; tells the sender to stop well before there is none.
    constexpr std::size_t kBuffer = 1024, kStop = 700, kGo = 200;
    char buffer[64];
    while (line_ >= 0 && buffer_.size() < kBuffer) {
      const ssize_t n = ::read(line_, buffer, std::min(sizeof buffer, kBuffer - buffer_.size()));
      if (n <= 0) break;
      buffer_.append(buffer, static_cast<std::size_t>(n));
      most = std::max(most, buffer_.size());
      if (!stopped_ && buffer_.size() > kStop) say("\x13"), stopped_ = true, ++xoffs;
    }
    if (const auto abort = buffer_.find("\x1b.K"); abort != std::string::npos) {
      buffer_.erase(0, abort + 3);
    }
    // One instruction after the other: the next is begun when the one before is done.
    for (double left = 0.002 * speed; left > 0;) {
      const double used = cutter_.advance(left);
      left -= used;
      for (auto& mark : cutter_.take_marks()) marks.push_back(std::move(mark));
      if (cutter_.state() == Cutter::State::running) break;
      const auto end = buffer_.find(';');
      if (end == std::string::npos) break;
      const std::string one = buffer_.substr(0, end + 1);
      buffer_.erase(0, end + 1);
      if (one.find("OA") != std::string::npos) {
        const Vec at = cutter_.position();
        if (!mute)
          say(QByteArray::number(std::llround(at.x * kHpglPerMm)) + "," +
              QByteArray::number(std::llround((machine_.mat.height_mm - at.y) * kHpglPerMm)) + "," +
              (down_ ? "1" : "0") + "\r");
        continue;
      }
      taken += one;
      if (one.find("CO") != std::string::npos) continue;  // a remark
      if (one.find("PD") != std::string::npos) down_ = true;
      if (one.find("PU") != std::string::npos) down_ = false;
      cutter_.feed(one + "VS0;");  // no speed at all changes nothing, and nothing is left open
    }
    if (stopped_ && buffer_.size() < kGo) say("\x11"), stopped_ = false;
  }

  Machine machine_;
  Cutter cutter_;
  QTimer timer_;
  int line_ = -1, far_ = -1;
  std::string buffer_;
  bool stopped_ = false, down_ = false;
};

/// Crooked lines in three inks, and a pause.
Project scribbles() {
  std::mt19937 random(4);
  const auto at = [&] { return std::to_string(20 + random() % 200) + " " + std::to_string(20 + random() % 200); };
  std::string body;
  for (int i = 0; i < 45; ++i) {
    body += "<path id=\"l" + std::to_string(i) + "\" fill=\"none\" stroke=\"" +
            (i % 3 == 0   ? "#101010"
             : i % 3 == 1 ? "#1f6f78"
                          : "#9c5a2e") +
            "\" d=\"M " + at();
    for (int k = 0; k < 50; ++k) body += " L " + at();
    body += "\"/>";
  }
  return project_of(body);
}

struct PortRig {
  QTemporaryDir folder;
  QString path = folder.filePath(QStringLiteral("port"));
  Project project = scribbles();
  Derived d = derived(project);
  std::shared_ptr<const Job> job = std::make_shared<const Job>(compile(d.plan, project.machine));
  FarCutter far{project.machine, holders_at(*job, 0)};
  PortLink* link = nullptr;
  std::unique_ptr<JobRunner> runner;
  int pauses = 0;

  explicit PortRig(PortSettings settings = {}) {
    lay();
    settings.path = path;
    auto owned = std::make_unique<PortLink>(settings);
    link = owned.get();
    runner = std::make_unique<JobRunner>(std::move(owned));
    QObject::connect(runner.get(), &JobRunner::paused, runner.get(), [this](const LoadMarker& wanted) {
      ++pauses;
      runner->confirmLoaded(wanted.holders);
    });
  }
  void lay() const {
    QFile::remove(path);
    QFile::link(far.path, path);
  }
  void start() {
    runner->start(papers_of(job, {"a job", "scribbles", {}, {}, 0, 0, 0, 1}, to_json(project), {}),
                  folder.filePath(QStringLiteral("run")));
  }
  /// Every planned course is marked, and no more is marked than is planned: each was made once.
  void check_once() const {
    double planned = 0, marked = 0, off = 0;
    for (const auto& pass : d.plan.passes) planned += pass.length_mm;
    std::vector<std::vector<Vec>> made;
    for (const auto& mark : far.marks) {
      for (std::size_t i = 1; i < mark.points.size(); ++i) marked += distance(mark.points[i - 1], mark.points[i]);
      made.push_back(mark.points);
    }
    CHECK(marked == Approx(planned).epsilon(1e-3));
    for (const auto& pass : d.plan.passes) {
      for (const auto& stroke : pass.strokes) {
        for (const Vec at : stroke.points()) {
          double best = 1e9;
          for (const auto& points : made) {
            for (std::size_t i = 1; i < points.size(); ++i)
              best = std::min(best, distance(at, nearest_on(points[i - 1], points[i], at)));
          }
          off = std::max(off, best);
        }
      }
    }
    CHECK(off < 0.05);
  }
};

}  // namespace

TEST_CASE("a whole job over the port: flow control, pauses made by the sender, every stroke once") {
  PortRig rig;
  rig.start();
  wait_for([&] { return !rig.runner->running(); }, 120'000);
  CHECK(rig.runner->record().outcome == Outcome::done);
  CHECK(rig.runner->record().problem.code.empty());
  CHECK(rig.pauses == static_cast<int>(rig.d.plan.pauses.size()));
  CHECK(rig.pauses > 0);
  CHECK(rig.far.xoffs > 0);
  CHECK(rig.far.most <= 1024);
  CHECK(rig.far.taken.find("dot-lane pause") == std::string::npos);
  rig.check_once();
}

TEST_CASE("unplugged again and again, the job goes on at the stroke it had come to") {
  std::mt19937 random(8);
  int unplugged = 0;
  for (int round = 0; round < 3; ++round) {
    PortRig rig;
    rig.start();
    const auto strokes = rig.job->instructions.size();
    for (int cut = 0; cut < 4 && rig.runner->running(); ++cut) {
      const std::size_t at = strokes * static_cast<std::size_t>(cut) / 5 + random() % (strokes / 5);
      wait_for([&] { return !rig.runner->running() || rig.runner->place().instruction >= at; }, 60'000);
      if (!rig.runner->running()) break;
      QElapsedTimer clock;
      clock.start();
      const auto later = static_cast<qint64>(random() % 30);
      wait_for([&] { return clock.elapsed() >= later; });
      if (!rig.runner->running()) break;
      rig.far.unplug();
      wait_for([&] { return !rig.runner->running(); });
      CHECK(rig.runner->record().outcome == Outcome::failed);
      CHECK(sentence(rig.runner->record().problem).find("unplugged") != std::string::npos);
      ++unplugged;
      rig.far.plug_in();
      rig.lay();
      rig.runner->goOn();
    }
    wait_for([&] { return !rig.runner->running(); }, 120'000);
    INFO(sentence(rig.runner->record().problem));
    REQUIRE(rig.runner->record().outcome == Outcome::done);
    rig.check_once();
  }
  CHECK(unplugged >= 8);
}

TEST_CASE("a cutter that has lost its place is not guessed at: a person says where to go on") {
  PortRig rig;
  rig.start();
  const std::size_t half = rig.job->instructions.size() / 2;
  wait_for([&] { return rig.runner->place().instruction >= half; }, 60'000);
  rig.far.unplug();
  wait_for([&] { return !rig.runner->running(); });
  // Switched off and on: another cutter, its head at home.
  FarCutter fresh(rig.project.machine, holders_at(*rig.job, half));
  QFile::remove(rig.path);
  QFile::link(fresh.path, rig.path);
  rig.runner->goOn();
  wait_for([&] { return !rig.runner->running(); });
  CHECK(rig.runner->unsure());
  CHECK(sentence(rig.runner->record().problem).find("Look at the work") != std::string::npos);
  CHECK(rig.runner->sentTo().instruction >= rig.runner->place().instruction);
  CHECK(rig.runner->sentTo().instruction <= rig.runner->place().instruction + 60);
  rig.runner->goOnAt({half, 0});
  wait_for([&] { return !rig.runner->running(); }, 120'000);
  CHECK(rig.runner->record().outcome == Outcome::done);
}

TEST_CASE("ports that are none, or where nobody answers, are said so") {
  const auto problem_of = [](PortSettings settings, FarCutter* far) {
    auto owned = std::make_unique<PortLink>(settings);
    owned->setPatience(300);
    JobRunner runner(std::move(owned));
    const Project p = four_inks();
    runner.start(papers_of(std::make_shared<const Job>(compile(derived(p).plan, p.machine)), {}, {}, {}), {});
    wait_for([&] { return !runner.running(); });
    (void)far;
    return sentence(runner.record().problem);
  };
  PortSettings settings;
  settings.path = QStringLiteral("/nowhere/port");
  CHECK(problem_of(settings, nullptr).find("/nowhere/port") != std::string::npos);
  QTemporaryDir folder;
  settings.path = folder.filePath(QStringLiteral("a file"));
  QFile file(settings.path);
  REQUIRE(file.open(QIODevice::WriteOnly));
  CHECK(problem_of(settings, nullptr).find("cannot be used as a port") != std::string::npos);
  FarCutter far(Machine{}, {});
  far.mute = true;
  settings.path = far.path;
  CHECK(problem_of(settings, &far).find("Nothing answers") != std::string::npos);
}

TEST_CASE("two windows never drive one port: the second is told so, the first goes on") {
  PortRig rig;
  rig.start();
  wait_for([&] { return rig.runner->place().instruction > 3; }, 60'000);
  PortSettings settings;
  settings.path = rig.far.path;
  JobRunner second(std::make_unique<PortLink>(settings));
  const Project p = four_inks();
  second.start(papers_of(std::make_shared<const Job>(compile(derived(p).plan, p.machine)), {}, {}, {}), {});
  wait_for([&] { return !second.running(); });
  CHECK(sentence(second.record().problem).find("driven by another") != std::string::npos);
  wait_for([&] { return !rig.runner->running(); }, 120'000);
  CHECK(rig.runner->record().outcome == Outcome::done);
  rig.check_once();
}

TEST_CASE("a stroke may take longer than an answer") {
  const Project p = project_of(R"(<path id="ink" d="M20 30 h250 M20 40 h10" stroke="#101010" fill="none"/>)");
  const auto job = std::make_shared<const Job>(compile(derived(p).plan, p.machine));
  FarCutter far(p.machine, holders_at(*job, 0));
  far.speed = 2;  // times as fast as the machine: the long line takes more than a second
  PortSettings settings;
  settings.path = far.path;
  auto owned = std::make_unique<PortLink>(settings);
  owned->setPatience(500);
  JobRunner runner(std::move(owned));
  runner.start(papers_of(job, {}, {}, {}), {});
  wait_for([&] { return !runner.running(); });
  CHECK(runner.record().problem.code.empty());
  CHECK(runner.record().outcome == Outcome::done);
}

TEST_CASE("a file takes the whole job, to the byte, or is as it was") {
  const Project p = four_inks();
  const auto job = std::make_shared<const Job>(compile(derived(p).plan, p.machine));
  QTemporaryDir folder;
  const QString path = folder.filePath(QStringLiteral("job.hpgl"));
  {
    JobRunner runner(std::make_unique<FileLink>(path));
    runner.start(papers_of(job, {}, {}, {}), {});
    wait_for([&] { return !runner.running(); });
    CHECK(runner.record().outcome == Outcome::done);
  }
  CHECK(*read_file(path.toStdString()) == hpgl_of(*job).text);
  JobRunner runner(std::make_unique<FileLink>(folder.filePath(QStringLiteral("no/such/folder"))));
  runner.start(papers_of(job, {}, {}, {}), {});
  wait_for([&] { return !runner.running(); });
  CHECK(runner.record().outcome == Outcome::failed);
  CHECK(sentence(runner.record().problem).find("cannot be written") != std::string::npos);
}
