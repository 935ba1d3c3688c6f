// Run: what to load before the start, how far it is, the card at each pause, what came of it.
#pragma once

#include <QComboBox>
#include <QProgressBar>
#include <QPushButton>

#include "app/panels/panel.hpp"
#include "app/run_controller.hpp"

namespace dotlane {

class RunPanel : public Panel {
  Q_OBJECT
 public:
  RunPanel(Session& session, RunController& run, QWidget* parent);

 signals:
  void printAsked();  ///< what is printed is to be saved

 private:
  void rebuild();
  void buildReady();
  void buildRunning();
  void buildPause();
  void buildOver();
  void progress();
  /// How printed sheets of a mat load are to be printed and laid down.
  void addPrinted(QVBoxLayout* box, QWidget* parent, int load);
  void addHolders(QVBoxLayout* box, QWidget* parent, const std::vector<HolderLoad>& loads, bool choose);
  [[nodiscard]] QStringList thingsToCheck(const std::vector<HolderLoad>& loads) const;
  QPushButton* addButton(const QString& text, const char* kind, const char* name, QLayout* row,
                         std::function<void()> run);
  void addBullets(const QStringList& texts, QWidget* parent, QVBoxLayout* box);

  Session& session_;
  RunController& run_;
  QVBoxLayout* contents_;
  QProgressBar* bar_ = nullptr;
  QPushButton* leads_on_ = nullptr;  // of the buttons shown, the one to press next
  QLabel* where_ = nullptr;
  QLabel* left_ = nullptr;
  std::vector<QComboBox*> holder_boxes_;
  int scale_row_ = 1;
};

}  // namespace dotlane
