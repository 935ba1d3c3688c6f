#include "app/awake.hpp"

#include <QCoreApplication>
#include <QDBusMessage>
#include <QDBusPendingCallWatcher>
#include <QDBusPendingReply>
#include <QPointer>
#include <QThreadPool>
#include <QUuid>

namespace dotlane {
namespace {

QDBusMessage to_screen_saver(const char* method) {
  return QDBusMessage::createMethodCall(QStringLiteral("org.freedesktop.ScreenSaver"),
                                        QStringLiteral("/org/freedesktop/ScreenSaver"),
                                        QStringLiteral("org.freedesktop.ScreenSaver"), QLatin1String(method));
}

}  // namespace

Awake::Awake(QObject* parent)
    : QObject(parent), name_(QStringLiteral("dot-lane-awake-") + QUuid::createUuid().toString(QUuid::Id128)) {}

Awake::~Awake() {
  let();
  QDBusConnection::disconnectFromBus(name_ + QStringLiteral("-session"));
  QDBusConnection::disconnectFromBus(name_ + QStringLiteral("-system"));
}

QDBusConnection Awake::session() const {
  return QDBusConnection::connectToBus(QDBusConnection::SessionBus, name_ + QStringLiteral("-session"));
}

QDBusConnection Awake::system() const {
  return QDBusConnection::connectToBus(QDBusConnection::SystemBus, name_ + QStringLiteral("-system"));
}

void Awake::keep(const QString& why) {
  if (wanted_) return;
  wanted_ = true;
  answers_ = 0;
  const int round = ++round_;
  // Reaching a bus for the first time may take a while.
  QThreadPool::globalInstance()->start([self = QPointer(this), round, why, name = name_] {
    (void)QDBusConnection::connectToBus(QDBusConnection::SessionBus, name + QStringLiteral("-session"));
    (void)QDBusConnection::connectToBus(QDBusConnection::SystemBus, name + QStringLiteral("-system"));
    QMetaObject::invokeMethod(
        QCoreApplication::instance(),
        [self, round, why] {
          if (self && self->wanted_ && round == self->round_) self->ask(why);
        },
        Qt::QueuedConnection);
  });
}

void Awake::ask(const QString& why) {
  const int round = round_;
  // A call on a bus that is not there is never answered.
  answers_ += !session().isConnected();
  answers_ += !system().isConnected();
  if (answers_ == kAsked) emit changed();
  if (session().isConnected()) askScreenSaver(round, why);
  if (system().isConnected()) askMachine(round, why);
}

void Awake::askScreenSaver(int round, const QString& why) {
  auto* screen = new QDBusPendingCallWatcher(
      session().asyncCall(to_screen_saver("Inhibit") << QStringLiteral("Dot Lane") << why), this);
  connect(screen, &QDBusPendingCallWatcher::finished, this, [this, round](QDBusPendingCallWatcher* call) {
    call->deleteLater();
    const QDBusPendingReply<unsigned> reply = *call;
    if (round != round_ || !wanted_) {  // too late: it is not wanted any more
      if (!reply.isError()) session().asyncCall(to_screen_saver("UnInhibit") << reply.value());
      return;
    }
    if (!reply.isError()) cookie_ = reply.value();
    ++answers_;
    emit changed();
  });
}

void Awake::askMachine(int round, const QString& why) {
  auto sleep = QDBusMessage::createMethodCall(
      QStringLiteral("org.freedesktop.login1"), QStringLiteral("/org/freedesktop/login1"),
      QStringLiteral("org.freedesktop.login1.Manager"), QStringLiteral("Inhibit"));
  sleep << QStringLiteral("sleep:idle") << QStringLiteral("Dot Lane") << why << QStringLiteral("block");
  auto* machine = new QDBusPendingCallWatcher(system().asyncCall(sleep), this);
  connect(machine, &QDBusPendingCallWatcher::finished, this, [this, round](QDBusPendingCallWatcher* call) {
    call->deleteLater();
    const QDBusPendingReply<QDBusUnixFileDescriptor> reply = *call;
    if (round != round_ || !wanted_) return;
    if (!reply.isError()) lock_ = reply.value();
    ++answers_;
    emit changed();
  });
}

void Awake::let() {
  if (!wanted_) return;
  wanted_ = false;
  if (cookie_) session().asyncCall(to_screen_saver("UnInhibit") << *cookie_);
  cookie_.reset();
  lock_ = {};
}

}  // namespace dotlane
