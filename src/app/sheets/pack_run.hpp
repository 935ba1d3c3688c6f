// Packing the open project aside: better and better, until somebody says it is good enough.
#pragma once

#include <QThreadPool>
#include <atomic>
#include <memory>

#include "app/session.hpp"
#include "core/layout/nest.hpp"

namespace dotlane {

class PackRun : public QObject {
  Q_OBJECT
 public:
  explicit PackRun(Session& session, QObject* parent = nullptr);
  ~PackRun() override;

  /// Packs the parts of every stock, for so many seconds at most; then it is one edit. What was edited meanwhile is not
  /// thrown away: the packing is, and that is said.
  void start(const NestOptions& options, double seconds);
  /// Takes the best there is.
  void enough();
  [[nodiscard]] bool running() const { return stop_ != nullptr; }
  /// Sheets used so far, and how much of them parts take, 0 to 1.
  [[nodiscard]] std::size_t sheets() const { return sheets_; }
  [[nodiscard]] double density() const { return density_; }
  /// The same for each answer so far, each better than the one before.
  [[nodiscard]] const std::vector<std::pair<std::size_t, double>>& answers() const { return answers_; }

 signals:
  void changed();

 private:
  void begin(const NestOptions& options, double seconds);
  void finish(const Project& from, const Project& next, const QString& problem);

  Session& session_;
  std::shared_ptr<std::atomic<bool>> stop_;  // while it runs
  std::size_t sheets_ = 0;
  double density_ = 0;
  std::vector<std::pair<std::size_t, double>> answers_;
  std::atomic<bool> quit_ = false;
  QThreadPool pool_;
};

}  // namespace dotlane
