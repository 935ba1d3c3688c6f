// What the panels on the right have in common: a heading, a column that scrolls, rows of labelled fields.
#pragma once

#include <QFormLayout>
#include <QLabel>
#include <QScrollArea>
#include <QVBoxLayout>
#include <QWidget>

namespace dotlane {

class Panel : public QWidget {
  Q_OBJECT
 public:
  Panel(const QString& heading, QWidget* parent);

 protected:
  /// The column for the panel's contents; it scrolls when the window is low.
  [[nodiscard]] QVBoxLayout* column() const { return column_; }
  /// Below the column; it does not scroll, so that what leads on is always in sight.
  [[nodiscard]] QVBoxLayout* footer() const { return footer_; }
  /// Text at the right end of the heading.
  void setSubject(const QString& text);
  /// A grid of labelled fields, added to the column.
  QFormLayout* addForm(const QString& heading = {});
  QWidget* body() const { return body_; }
  /// Removes everything from a layout, widgets included.
  static void clear(QLayout* layout);
  bool eventFilter(QObject* watched, QEvent* event) override;

 private:
  QVBoxLayout *column_, *footer_;
  QWidget* body_;
  QScrollArea* scroll_;
  QLabel* subject_;
  bool ordering_ = false;  // Tab is about to be led through what is new
};

}  // namespace dotlane
