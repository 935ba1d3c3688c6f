// The wire between the application and the simulated cutter, spoken by hand.
#include <QLocalSocket>

#include "core/format/files.hpp"
#include "core/job/hpgl.hpp"
#include "device/job_runner.hpp"
#include "device/sim_cutter_link.hpp"
#include "device/sim_server.hpp"
#include "device/wire.hpp"
#include "fixtures.hpp"
#include "waiting.hpp"

using namespace dotlane;
using namespace dotlane::test;
using wire::Json;

namespace {

/// A client that says what it is told and keeps what it hears.
struct Client {
  QLocalSocket socket;
  std::vector<Json> heard;
  ~Client() { socket.disconnect(); }
  explicit Client(const QString& name) {
    QObject::connect(&socket, &QLocalSocket::readyRead, &socket, [this] {
      while (socket.canReadLine()) {
        const QByteArray line = socket.readLine();
        heard.push_back(Json::parse(line.begin(), line.end()));
      }
    });
    socket.connectToServer(name);
    wait_for([this] { return socket.state() == QLocalSocket::ConnectedState; });
  }
  void say(const Json& message) {
    const auto line = wire::line_of(message);
    socket.write(line.data(), static_cast<qint64>(line.size()));
  }
  const Json* find(const std::string& event) const {
    for (const auto& m : heard) {
      if (m.at("ev") == event) return &m;
    }
    return nullptr;
  }
  const Json& await(const std::string& event) {
    wait_for([&] { return find(event) != nullptr; });
    return *find(event);
  }
};

struct Served {
  SimServer server;
  QString name = QStringLiteral("dot-lane-test-%1").arg(QCoreApplication::applicationPid());
  Served() { REQUIRE(server.listen(name)); }
};

}  // namespace

TEST_CASE("a job over the wire: ready, credit, progress with marks, end") {
  Served s;
  Client c(s.name);
  CHECK(c.await("ready").at("window") == wire::kWindow);
  c.say({{"op", "start"}, {"machine", wire::from_machine(Machine{})}, {"holders", {"pen-black", ""}}, {"scale", 0}});
  c.say({{"op", "data"}, {"text", "IN;SP1;PU0,0;PD4000,0;PU;SP0;"}});
  c.say({{"op", "end"}});
  const Json end = c.await("end");
  CHECK(end.at("outcome") == "done");
  CHECK(end.at("marked_mm").at("pen-black").get<double>() == Approx(100));
  CHECK(c.find("credit"));
  std::size_t points = 0;
  for (const auto& m : c.heard) {
    if (m.at("ev") == "progress") {
      for (const auto& mark : wire::to_marks(m.at("marks"))) points += mark.points.size();
    }
  }
  CHECK(points >= 2);
}

TEST_CASE("a pause on the wire waits for the right tools") {
  Served s;
  Client c(s.name);
  c.say({{"op", "start"}, {"machine", wire::from_machine(Machine{})}, {"holders", {"a", "b"}}, {"scale", 0}});
  c.say({{"op", "data"},
         {"text", "SP1;PU0,0;PD400,0;PU;CO \"dot-lane pause 1 mat 1 holders 1=c 2=b\";SP1;PU0,0;PD400,0;PU;"}});
  c.say({{"op", "end"}});
  CHECK(c.await("pause").at("holders") == Json({"c", "b"}));
  c.say({{"op", "loaded"}, {"holders", {"x", "b"}}});
  CHECK(c.await("wrong-load").at("problem").at("code") == "wrong-load");
  CHECK_FALSE(c.find("end"));
  c.say({{"op", "loaded"}, {"holders", {"c", "b"}}});
  const Json end = c.await("end");
  CHECK(end.at("marked_mm").at("c").get<double>() == Approx(10));
}

TEST_CASE("nonsense on the wire ends the job with a reason, not the cutter") {
  Served s;
  bool gone = false;
  QObject::connect(&s.server, &SimServer::clientGone, &s.server, [&] { gone = true; });
  {
    Client c(s.name);
    c.socket.write("this is no message\n");
    CHECK(c.await("end").at("outcome") == "failed");
    c.socket.disconnectFromServer();
    wait_for([&] { return gone; });
  }
  Client again(s.name);
  again.await("ready");
}

TEST_CASE("a second client is told that the cutter is busy") {
  Served s;
  Client first(s.name);
  first.await("ready");
  Client second(s.name);
  CHECK(second.await("end").at("problem").at("code") == "cutter-busy");
}

TEST_CASE("hold, resume, another speed and cancel over the wire") {
  Served s;
  Client c(s.name);
  c.say({{"op", "start"}, {"machine", wire::from_machine(Machine{})}, {"holders", {"a"}}, {"scale", 1}});
  c.say({{"op", "data"}, {"text", "SP1;VS1;PU0,0;PD4000,0,4000,4000,0,4000;PU;"}});
  c.say({{"op", "hold"}});
  c.say({{"op", "resume"}});
  c.say({{"op", "scale"}, {"scale", 60}});
  c.await("progress");
  c.say({{"op", "cancel"}});
  CHECK(c.await("end").at("outcome") == "cancelled");
}

TEST_CASE("a long job keeps within the window and arrives whole") {
  Project project = *load_project(DOTLANE_DEMO "/lighthouse-card.dotlane");
  DrawingCache cache;
  Plan plan = derive(project, cache).plan;
  // Many repeats make a stream many times the window.
  for (auto& pass : plan.passes) pass.repeats = 40;
  const auto job = std::make_shared<const Job>(compile(plan, project.machine));
  REQUIRE(hpgl_of(*job).text.size() > 4 * wire::kWindow);
  JobRunner runner(std::make_unique<SimCutterLink>());
  runner.setTimeScale(0);
  QObject::connect(&runner, &JobRunner::paused, &runner,
                   [&](const LoadMarker& wanted) { runner.confirmLoaded(wanted.holders); });
  runner.start(papers_of(job, {}, {}, {}), {});
  wait_for([&] { return !runner.running(); }, 60'000);
  CHECK(runner.record().outcome == Outcome::done);
  double planned = 0, marked = 0;
  for (const auto& pass : plan.passes) {
    for (const auto& stroke : pass.strokes) planned += 40 * length_of(Polyline{stroke.points(), false});
  }
  for (const auto& [tool, mm] : runner.record().marked_mm) marked += mm;
  CHECK(marked == Approx(planned).epsilon(0.002));
}

TEST_CASE("machines and marks survive the wire") {
  Machine m;
  m.mat.height_mm = 609.6;
  m.accel_mm_s2 = 1234;
  m.holders = 1;
  const Machine back = wire::to_machine(wire::from_machine(m));
  CHECK(back.mat.height_mm == m.mat.height_mm);
  CHECK(back.accel_mm_s2 == m.accel_mm_s2);
  CHECK(back.holders == 1);
  const auto marks = wire::to_marks(wire::from_marks({{"pen", 2, {{1.23456, 2}, {3, 4}}}}));
  REQUIRE(marks.size() == 1);
  CHECK(marks[0].mat == 2);
  CHECK(marks[0].points[0].x == Approx(1.2346).margin(1e-9));
}
