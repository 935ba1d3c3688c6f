#include "app/panels/held_list.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QToolButton>

#include "app/place_actions.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/place/held.hpp"

namespace dotlane {

HeldList::HeldList(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  setObjectName(QStringLiteral("heldList"));
  rows_ = new QVBoxLayout(this);
  rows_->setContentsMargins(0, 0, 0, 0);
  rows_->setSpacing(4);
}

void HeldList::show(int piece) {
  const Piece* found = find_piece(session_.project(), piece);
  const std::vector<Hold> holds = found ? found->holds : std::vector<Hold>{};
  const auto alike = [](const Hold& a, const Hold& b) {
    Hold same = a;
    same.distance_mm = b.distance_mm;
    return same == b;
  };
  const bool fits = piece == piece_ && std::equal(holds.begin(), holds.end(), shown_.begin(), shown_.end(), alike);
  piece_ = piece;
  shown_ = holds;
  if (!fits) build();
  for (std::size_t i = 0; i < shown_.size(); ++i) {
    QString text = held_text(session_.project(), shown_[i]);
    if (!text.isEmpty()) text[0] = text[0].toUpper();
    texts_[i]->setText(text);
    if (fields_[i]) fields_[i]->setValue(shown_[i].distance_mm, session_.project().unit);
  }
  setVisible(!shown_.empty());
}

void HeldList::build() {
  while (QLayoutItem* item = rows_->takeAt(0)) {
    if (item->widget()) item->widget()->deleteLater();
    delete item;
  }
  texts_.clear(), fields_.clear();
  if (shown_.empty()) return;
  rows_->addWidget(make_label(tr("Held"), "heading", this));
  for (const auto& hold : shown_) {
    auto* row = new QWidget(this);
    auto* line = new QHBoxLayout(row);
    line->setContentsMargins(0, 0, 0, 0);
    line->setSpacing(6);
    auto* text = make_label({}, "quiet", row);
    text->setObjectName(QStringLiteral("held-") + qs(word(hold.axis)));
    text->setWordWrap(true);
    line->addWidget(text, 1);
    NumberField* field = nullptr;
    if (has_distance(hold)) {
      const QString name = hold.axis == Axis::x ? tr("Distance to the right, held") : tr("Distance downward, held");
      field = new NumberField(name, NumberField::Kind::length, row);
      field->setRange(-5000, 5000);
      field->setFixedWidth(96);
      connect(field, &NumberField::committed, &session_, &Session::seal);
      connect(field, &NumberField::edited, this, [this, axis = hold.axis](double mm) {
        session_.commit(set_held_distance(session_.project(), piece_, axis, mm), tr("Change a held distance"),
                        "held-distance");
      });
      line->addWidget(field);
    }
    auto* go = new QToolButton(row);
    go->setText(QStringLiteral("×"));
    go->setObjectName(QStringLiteral("letGo-") + qs(word(hold.axis)));
    go->setToolTip(tr("Let it go"));
    go->setAccessibleName(tr("Let go: %1").arg(held_text(session_.project(), hold)));
    set_kind(go, "flat");
    connect(go, &QToolButton::clicked, this,
            [this, axis = hold.axis] { session_.commit(let_go(session_.project(), {piece_}, axis), tr("Let go")); });
    line->addWidget(go);
    rows_->addWidget(row);
    texts_.push_back(text), fields_.push_back(field);
  }
}

}  // namespace dotlane
