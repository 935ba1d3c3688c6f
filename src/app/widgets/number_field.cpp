#include "app/widgets/number_field.hpp"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QStyle>

#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {

NumberField::NumberField(const QString& name, Kind kind, QWidget* parent, const QString& unit, int decimals)
    : QWidget(parent), kind_(kind), unit_text_(unit), decimals_(decimals) {
  edit_ = new QLineEdit(this);
  edit_->setAlignment(Qt::AlignRight | Qt::AlignVCenter);
  edit_->setAccessibleName(name);
  edit_->setMinimumWidth(52);
  set_kind(edit_, "number");
  edit_->installEventFilter(this);
  unit_label_ = new QLabel(this);
  set_kind(unit_label_, "quiet");
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(0, 0, 0, 0);
  row->setSpacing(3);
  row->addWidget(edit_, 1);
  row->addWidget(unit_label_);
  setFocusProxy(edit_);
  unit_label_->setText(kind == Kind::length ? unit_word(unit_) : unit);
  unit_label_->setFixedWidth(36);
  unit_label_->setWordWrap(false);
  connect(edit_, &QLineEdit::textEdited, this, [this] {
    const auto v = parsed();
    markWrong(!v);
    if (!v) return;
    value_ = *v;
    emit edited(*v);
  });
  connect(edit_, &QLineEdit::editingFinished, this, [this] {
    edit_->setText(shown(value_));
    markWrong(false);
    emit committed();
  });
}

void NumberField::setFigure() { set_kind(edit_, "figure"); }

QString NumberField::shown(double value) const {
  return kind_ == Kind::length ? length_number(value, unit_) : QLocale().toString(value, 'f', decimals_);
}

void NumberField::setValue(double value, LengthUnit unit) {
  const bool unit_changed = unit != unit_;
  unit_ = unit;
  if (kind_ == Kind::length) unit_label_->setText(unit_word(unit));
  if (edit_->hasFocus() && edit_->isModified() && !unit_changed) return;
  value_ = value;
  const QString text = shown(value);
  if (edit_->text() != text) edit_->setText(text);
}

std::optional<double> NumberField::parsed() const {
  std::optional<double> v;
  if (kind_ == Kind::length) {
    v = parse_length(edit_->text(), unit_);
  } else {
    bool ok = false;
    const double d = QLocale().toDouble(edit_->text(), &ok);
    if (ok) v = d;
  }
  if (!v || *v < low_ || *v > high_) return std::nullopt;
  return v;
}

void NumberField::markWrong(bool wrong) {
  if (edit_->property("wrong").toBool() == wrong) return;
  edit_->setProperty("wrong", wrong);
  edit_->style()->unpolish(edit_);
  edit_->style()->polish(edit_);
}

bool NumberField::eventFilter(QObject* watched, QEvent* event) {
  if (event->type() == QEvent::KeyPress) {
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down) {
      double step =
          kind_ == Kind::length ? (unit_ == LengthUnit::inch ? 1.27 : 1.0) : std::max(1.0, std::round(value_ / 20));
      if (key->modifiers() & Qt::ShiftModifier) step *= 10;
      if (key->modifiers() & Qt::AltModifier) step /= 10;
      value_ = std::clamp(value_ + (key->key() == Qt::Key_Up ? step : -step), low_, high_);
      edit_->setText(shown(value_));
      emit edited(value_);
      return true;
    }
    if (key->key() == Qt::Key_Escape) {
      edit_->setModified(false);
      edit_->clearFocus();
      return true;
    }
  }
  return QWidget::eventFilter(watched, event);
}

}  // namespace dotlane
