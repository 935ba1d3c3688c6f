// The shelf: what is owned of each stock, sheets and scraps; from here they come onto mats.
#pragma once

#include <QComboBox>
#include <QLineEdit>
#include <QVBoxLayout>
#include <QWidget>

#include "app/sheets/sheet_desk.hpp"
#include "app/widgets/number_field.hpp"
#include "core/plan/stock_book.hpp"

namespace dotlane {

class ShelfCard : public QWidget {
  Q_OBJECT
 public:
  ShelfCard(Session& session, SheetDesk& desk, QWidget* parent);

 signals:
  void photographAsked(const QString& stock);
  void otherShelfAsked();

 private:
  void update();
  void addSheets();
  void addScrap();
  [[nodiscard]] std::string stock() const;

  Session& session_;
  SheetDesk& desk_;
  QVBoxLayout* items_;
  QComboBox* stock_;
  NumberField *width_, *height_, *count_, *price_;
  QLineEdit* outline_;
  std::vector<ShelfItem> shown_;
  std::vector<Reserved> taken_;
  LengthUnit unit_ = LengthUnit::mm;
  std::string stocks_, of_sheet_;
};

}  // namespace dotlane
