// Keeps the desktop awake while a run is under way: the freedesktop inhibitions over D-Bus.
#pragma once

#include <QDBusConnection>
#include <QDBusUnixFileDescriptor>
#include <QObject>
#include <optional>

namespace dotlane {

/// Asks the session's screen saver (org.freedesktop.ScreenSaver, Inhibit) not to blank, and login1 not to sleep.
/// Neither is waited for.
class Awake : public QObject {
  Q_OBJECT
 public:
  explicit Awake(QObject* parent = nullptr);
  ~Awake() override;
  void keep(const QString& why);
  void let();
  /// Nobody keeps it awake although it was asked for.
  [[nodiscard]] bool refused() const { return wanted_ && answers_ == kAsked && !cookie_ && !lock_.isValid(); }

 signals:
  void changed();

 private:
  static constexpr int kAsked = 2;
  void ask(const QString& why);
  void askScreenSaver(int round, const QString& why);
  void askMachine(int round, const QString& why);
  [[nodiscard]] QDBusConnection session() const;
  [[nodiscard]] QDBusConnection system() const;
  QString name_;  // of the connections
  bool wanted_ = false;
  int round_ = 0, answers_ = 0;
  std::optional<unsigned> cookie_;
  QDBusUnixFileDescriptor lock_;  // held open: the lock
};

}  // namespace dotlane
