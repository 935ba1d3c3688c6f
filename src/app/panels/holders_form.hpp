// The holders: what is in each of them now, and which kinds of tool it takes.
#pragma once

#include <QComboBox>
#include <QFormLayout>
#include <QPushButton>

#include "app/session.hpp"

namespace dotlane {

class HoldersForm : public QWidget {
  Q_OBJECT
 public:
  HoldersForm(Session& session, QWidget* parent);

 private:
  void rebuild();
  void update();
  void setLoaded(std::size_t holder, const std::string& tool);
  void setTakes(std::size_t holder, ToolKind kind, bool on);

  Session& session_;
  QFormLayout* form_;
  std::string shown_;
  std::vector<QComboBox*> now_;
  std::vector<QPushButton*> takes_;
};

}  // namespace dotlane
