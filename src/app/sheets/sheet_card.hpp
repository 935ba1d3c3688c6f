// One sheet: its size and place, its stock, how well it is used and what is left of it.
#pragma once

#include <QCheckBox>
#include <QComboBox>
#include <QFrame>
#include <QLabel>
#include <QPushButton>

#include "app/sheets/sheet_desk.hpp"
#include "app/widgets/number_field.hpp"

namespace dotlane {

class SheetCard : public QFrame {
  Q_OBJECT
 public:
  SheetCard(Session& session, SheetDesk& desk, QWidget* parent);

 protected:
  void showEvent(QShowEvent* event) override;

 private:
  void update();
  void editSheet(const QString& label, const std::string& key, const std::function<void(Sheet&)>& change);
  void editStock(const QString& label, const std::string& key, const std::function<void(Stock&)>& change);

  Session& session_;
  SheetDesk& desk_;
  QLabel *swatch_, *name_, *facts_;
  NumberField *width_, *height_, *left_, *top_, *load_, *thick_, *grammage_, *shrinks_;
  QComboBox* grain_;
  QCheckBox *clear_, *ink_, *blank_, *printed_, *now_;
  QPushButton *offcut_, *rest_, *remove_;
};

}  // namespace dotlane
