#include "app/widgets/number_field.hpp"

#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QMouseEvent>
#include <QStyle>
#include <QToolTip>

#include "app/style.hpp"
#include "app/units.hpp"

namespace dotlane {
namespace {

constexpr int kPatience = 800;  // ms after the last key before a hint comes

}  // namespace

NumberField::NumberField(const QString& name, Kind kind, QWidget* parent, const QString& unit, int decimals)
    : QWidget(parent),
      kind_(kind),
      unit_text_(unit),
      decimals_(decimals >= 0          ? decimals
                : kind == Kind::length ? 1
                                       : 0) {
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
  unit_label_->setText(kind == Kind::length ? unit_word(unit_) + unit : unit);
  unit_label_->setFixedWidth(36);
  unit_label_->setWordWrap(false);
  unit_label_->setCursor(Qt::SizeHorCursor);
  unit_label_->setToolTip(tr("Drag sideways to change the number; Shift for large steps, Alt for small ones"));
  unit_label_->installEventFilter(this);
  connect(edit_, &QLineEdit::textEdited, this, [this] {
    hint_.clear();
    const auto v = parsed(hint_);
    markWrong(!v);
    edit_->setAccessibleDescription(hint_);
    if (v) {
      QToolTip::hideText();
      value_ = *v;
      emit edited(*v);
    } else {
      hint_later_.start();  // half a fraction is no fault yet
    }
  });
  hint_later_.setSingleShot(true);
  hint_later_.setInterval(kPatience);
  connect(&hint_later_, &QTimer::timeout, this, &NumberField::showHint);
  connect(edit_, &QLineEdit::editingFinished, this, [this] {
    if (edit_->property("wrong").toBool()) showHint();
    render();
    markWrong(false);
    emit committed();
  });
}

void NumberField::showHint() {
  hint_later_.stop();
  if (!hint_.isEmpty() && edit_->property("wrong").toBool())
    QToolTip::showText(edit_->mapToGlobal(QPoint(0, edit_->height())), hint_, edit_);
}

void NumberField::setFigure() {
  set_kind(edit_, "figure");
  unit_label_->setFixedWidth(24);  // the figure needs the room
}

QString NumberField::shown(double value) const {
  if (value == 0 && !zero_.isEmpty()) return zero_;
  return kind_ == Kind::length ? length_number(value, unit_, decimals_) : QLocale().toString(value, 'f', decimals_);
}

void NumberField::render() {
  const QString text = shown(value_);
  if (edit_->text() != text) edit_->setText(text);
  unit_label_->setText(value_ == 0 && !zero_.isEmpty() ? QString()
                       : kind_ == Kind::length         ? unit_word(unit_) + unit_text_
                                                       : unit_text_);
}

double NumberField::step() const {
  if (decimals_ == 0) return std::max(1.0, std::round(value_ / 20));
  if (kind_ == Kind::plain) return 1;
  return (unit_ == LengthUnit::inch ? 1.27 : 1.0) * (decimals_ > 1 ? 0.1 : 1.0);
}

void NumberField::setValue(double value, LengthUnit unit) {
  const bool unit_changed = unit != unit_;
  unit_ = unit;
  if (edit_->hasFocus() && edit_->isModified() && !unit_changed) return;
  value_ = value;
  render();
}

std::optional<double> NumberField::parsed(QString& hint) const {
  if (!zero_.isEmpty() && edit_->text().trimmed() == zero_) return 0;
  const bool length = kind_ == Kind::length;
  const auto v = length ? parse_length(edit_->text(), unit_, &hint) : parse_number(edit_->text(), unit_text_, &hint);
  if (!v || (*v >= low_ && *v <= high_)) return v;
  const auto limit = [&](double mm) {
    return length ? length_number(mm, unit_, decimals_) + QChar(0xA0) + unit_word(unit_) + unit_text_
                  : QLocale().toString(mm, 'f', decimals_) + unit_text_;
  };
  hint = *v < low_ ? tr("At least %1.").arg(limit(low_)) : tr("At most %1.").arg(limit(high_));
  return std::nullopt;
}

void NumberField::markWrong(bool wrong) {
  if (edit_->property("wrong").toBool() == wrong) return;
  edit_->setProperty("wrong", wrong);
  edit_->style()->unpolish(edit_);
  edit_->style()->polish(edit_);
}

bool NumberField::dragUnit(QEvent* event) {
  const auto* mouse = static_cast<QMouseEvent*>(event);
  if (event->type() == QEvent::MouseButtonPress && mouse->button() == Qt::LeftButton && isEnabled()) {
    drag_from_ = mouse->globalPosition().x();
    return true;
  }
  if (event->type() == QEvent::MouseMove && drag_from_) {
    // A tenth of a millimetre a pixel; whole numbers change every eight.
    double by_px = kind_ == Kind::length ? step() / 10 : decimals_ == 0 ? 0.125 : 0.1;
    if (mouse->modifiers() & Qt::ShiftModifier) by_px *= 10;
    if (mouse->modifiers() & Qt::AltModifier) by_px /= 10;
    const double by = (mouse->globalPosition().x() - *drag_from_) * by_px;
    if (decimals_ == 0 && kind_ == Kind::plain && std::abs(by) < 1) return true;
    drag_from_ = mouse->globalPosition().x();
    value_ = std::clamp(value_ + (decimals_ == 0 && kind_ == Kind::plain ? std::round(by) : by), low_, high_);
    render();
    emit edited(value_);
    return true;
  }
  if (event->type() == QEvent::MouseButtonRelease && drag_from_) {
    drag_from_.reset();
    emit committed();
    return true;
  }
  return false;
}

bool NumberField::eventFilter(QObject* watched, QEvent* event) {
  if (watched == unit_label_ && dragUnit(event)) return true;
  if (event->type() == QEvent::ShortcutOverride) {
    // What is typed is in the project already: undoing is the project's, not the text's.
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->matches(QKeySequence::Undo) || key->matches(QKeySequence::Redo)) {
      edit_->setModified(false);
      event->ignore();
      return true;
    }
  }
  if (event->type() == QEvent::KeyPress) {
    const auto* key = static_cast<QKeyEvent*>(event);
    if (key->key() == Qt::Key_Up || key->key() == Qt::Key_Down) {
      double change = step();
      if (key->modifiers() & Qt::ShiftModifier) change *= 10;
      if (key->modifiers() & Qt::AltModifier) change /= 10;
      value_ = std::clamp(value_ + (key->key() == Qt::Key_Up ? change : -change), low_, high_);
      render();
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
