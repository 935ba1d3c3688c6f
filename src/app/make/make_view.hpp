// The centre of the Make stage: the figure as far as it has come, beside the sheet of the part that is looked for.
#pragma once

#include <QBoxLayout>

#include "app/make/guide_view.hpp"

namespace dotlane {

class MakeView : public QWidget {
  Q_OBJECT
 public:
  MakeView(MakeDesk& desk, QWidget* parent);
  [[nodiscard]] GuideView& figure() { return *figure_; }
  [[nodiscard]] GuideView& sheet() { return *sheet_; }
  /// The picture that has the keyboard, else the figure.
  [[nodiscard]] Table& table() { return sheet_->hasFocus() ? *sheet_ : *figure_; }

 protected:
  void resizeEvent(QResizeEvent* event) override;

 private:
  void arrange();

  MakeDesk& desk_;
  QBoxLayout* row_;
  GuideView *figure_, *sheet_;
};

}  // namespace dotlane
