// The desktop is kept awake over D-Bus: a private bus, and a screen saver that counts.
#include "app/awake.hpp"

#include <QDBusMessage>
#include <QDBusVirtualObject>
#include <QProcess>

#include "driving.hpp"

namespace dotlane::test {
namespace {

struct Saver : QDBusVirtualObject {
  int kept = 0, let = 0;
  QString why;
  QString introspect(const QString&) const override { return {}; }
  bool handleMessage(const QDBusMessage& message, const QDBusConnection& connection) override {
    if (message.member() == QStringLiteral("Inhibit")) {
      ++kept;
      why = message.arguments().value(1).toString();
      connection.send(message.createReply(QVariant::fromValue(7U)));
      return true;
    }
    if (message.member() != QStringLiteral("UnInhibit")) return false;
    let += message.arguments().value(0).toUInt() == 7;
    connection.send(message.createReply());
    return true;
  }
};

struct Bus {
  QProcess daemon;
  QByteArray session = qgetenv("DBUS_SESSION_BUS_ADDRESS"), system = qgetenv("DBUS_SYSTEM_BUS_ADDRESS");
  Bus() {
    daemon.start(QStringLiteral("dbus-daemon"),
                 {QStringLiteral("--session"), QStringLiteral("--nofork"), QStringLiteral("--print-address")});
    REQUIRE(daemon.waitForReadyRead(5000));
    qputenv("DBUS_SESSION_BUS_ADDRESS", daemon.readLine().trimmed());
    qputenv("DBUS_SYSTEM_BUS_ADDRESS", "unix:path=/nowhere");
  }
  ~Bus() {
    daemon.terminate();
    daemon.waitForFinished(2000);
    qputenv("DBUS_SESSION_BUS_ADDRESS", session);
    qputenv("DBUS_SYSTEM_BUS_ADDRESS", system);
  }
};

}  // namespace

TEST_CASE("while a run is under way the screen saver is kept off, and let on afterwards") {
  const Bus bus;
  Saver saver;
  auto own = QDBusConnection::connectToBus(QDBusConnection::SessionBus, QStringLiteral("saver"));
  REQUIRE(own.registerService(QStringLiteral("org.freedesktop.ScreenSaver")));
  REQUIRE(own.registerVirtualObject(QStringLiteral("/org/freedesktop/ScreenSaver"), &saver));
  {
    Opened o;
    o.stage(Stage::run);
    choose(o.find<QComboBox>("scaleBox"), 0);
    o.click("startRun");
    wait_for([&] { return saver.kept == 1; });
    CHECK(saver.why == QStringLiteral("A job is running on the cutter"));
    CHECK(saver.let == 0);
    CHECK_FALSE(o.window.run().maySleep());
    o.click("cancelRun");
    wait_for([&] { return saver.let == 1; });
  }
  QDBusConnection::disconnectFromBus(QStringLiteral("saver"));
}

TEST_CASE("where nobody can keep the desktop awake, that is said") {
  const Bus bus;  // with nobody on it
  Opened o;
  o.stage(Stage::run);
  choose(o.find<QComboBox>("scaleBox"), 0);
  o.click("startRun");
  wait_for([&] { return o.window.run().maySleep(); });
  o.session().settle();
  bool said = false;
  for (const auto* label : o.window.findChildren<QLabel*>())
    said = said || (label->isVisible() && label->text().contains(QStringLiteral("keeps the desktop awake")));
  CHECK(said);
  o.click("cancelRun");
}

}  // namespace dotlane::test
