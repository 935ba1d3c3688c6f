// All letterforms of a typeface, grouped and searchable; a click puts one at the caret.
#pragma once

#include <QComboBox>
#include <QDialog>
#include <QLabel>
#include <QLineEdit>
#include <QListWidget>

#include "app/lettering/typing.hpp"

namespace dotlane {

/// One form as the picker offers it.
struct PickerForm {
  unsigned glyph = 0;
  char32_t character = 0;  ///< what it stands for; U+FFFC when nothing is known to bring it up
  QString name;            ///< of the glyph
  QString group;           ///< see LetterformPicker::groups()
  bool plain = false;      ///< the character's own form: no choice needs to be kept
};

/// Every form of the face in its group.
[[nodiscard]] std::vector<PickerForm> picker_forms(const Face& face);

class LetterformPicker : public QDialog {
  Q_OBJECT
 public:
  LetterformPicker(Session& session, Typing& typing, QWidget* parent);

  [[nodiscard]] QListWidget* list() const { return list_; }

 private:
  void load();
  void fill();
  void use(QListWidgetItem* item);

  Session& session_;
  Typing& typing_;
  std::shared_ptr<const Face> face_;
  std::vector<PickerForm> forms_;
  char32_t at_ = 0;  // the letter at the caret
  QLineEdit* search_;
  QComboBox* group_;
  QListWidget* list_;
  QLabel* count_;
};

}  // namespace dotlane
