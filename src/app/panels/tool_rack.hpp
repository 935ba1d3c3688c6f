// The tool rack: every tool that could go into a holder, to look through, change, copy and take off.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QLabel>
#include <QLineEdit>
#include <QPushButton>
#include <QVBoxLayout>

#include "app/log/log_desk.hpp"
#include "app/session.hpp"
#include "app/widgets/number_field.hpp"

class QFormLayout;

namespace dotlane {

class ToolRack : public QWidget {
  Q_OBJECT
 public:
  ToolRack(Session& session, LogDesk& log, QWidget* parent);

 private:
  void build();
  void buildEditor(QVBoxLayout* column);
  void update();
  void rebuildList();
  void addTool(Tool tool, const QString& label);
  void edit(const QString& label, const std::string& key, const std::function<void(Tool&)>& change);

  void showWear();

  Session& session_;
  LogDesk& log_;
  QLabel* gone_;
  std::string worn_;  // whose wear is shown
  std::string tool_;  // in the editor; empty = none
  std::string shown_;
  QVBoxLayout* list_;
  QWidget* editor_;
  QLineEdit* name_;
  QComboBox* kind_;
  NumberField *tip_, *min_, *max_, *thickest_, *count_, *dry_;
  NumberField *trail_, *overcut_, *tip_x_, *tip_y_, *sits_, *lasts_, *covers_, *price_;
  QCheckBox* transfers_;
  QFormLayout* form_;
  QPushButton *ink_, *remove_;
  std::vector<QCheckBox*> serves_;
};

}  // namespace dotlane
