#include "app/panels/held_list.hpp"

#include <QHBoxLayout>
#include <QToolButton>
#include <functional>
#include <tuple>

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
  const Project& project = session_.project();
  const Piece* found = find_piece(project, piece);
  const std::vector<Hold> holds = found ? found->holds : std::vector<Hold>{};
  const std::optional<Fit> fit = found ? found->fit : std::nullopt;
  const auto alike = [](const Hold& a, const Hold& b) {
    Hold same = a;
    same.distance_mm = b.distance_mm;
    return same == b;
  };
  const bool fits = piece == piece_ && fit.has_value() == fit_.has_value() &&
                    std::equal(holds.begin(), holds.end(), shown_.begin(), shown_.end(), alike);
  piece_ = piece, shown_ = holds, fit_ = fit;
  if (!fits) build();
  for (std::size_t i = 0; i < shown_.size(); ++i) {
    QString text = held_text(project, shown_[i]);
    if (!text.isEmpty()) text[0] = text[0].toUpper();
    texts_[i]->setText(text);
    if (fields_[i]) fields_[i]->setValue(shown_[i].distance_mm, project.unit);
  }
  if (fit_) {
    const Piece* around = find_piece(project, fit_->piece);
    fit_text_->setText(tr("Fitted inside %1, margin").arg(around ? qs(around->name) : QString()));
    fit_field_->setValue(fit_->margin_mm, project.unit);
  }
  setVisible(!shown_.empty() || fit_);
}

std::pair<QLabel*, NumberField*> HeldList::addRow(const QString& id, const QString& field_name,
                                                  std::function<void(double)> edited, std::function<void()> let_go) {
  auto* row = new QWidget(this);
  auto* line = new QHBoxLayout(row);
  line->setContentsMargins(0, 0, 0, 0);
  line->setSpacing(6);
  auto* text = make_label({}, "quiet", row);
  text->setObjectName(QStringLiteral("held-") + id);
  text->setWordWrap(true);
  line->addWidget(text, 1);
  NumberField* field = nullptr;
  if (edited) {
    field = new NumberField(field_name, NumberField::Kind::length, row);
    field->setRange(-5000, 5000);
    field->setFixedWidth(96);
    connect(field, &NumberField::committed, &session_, &Session::seal);
    connect(field, &NumberField::edited, this, std::move(edited));
    line->addWidget(field);
  }
  auto* go = new QToolButton(row);
  go->setText(QStringLiteral("×"));
  go->setObjectName(QStringLiteral("letGo-") + id);
  go->setToolTip(tr("Let it go"));
  go->setAccessibleName(tr("Let it go"));
  set_kind(go, "flat");
  connect(go, &QToolButton::clicked, this, std::move(let_go));
  line->addWidget(go);
  rows_->addWidget(row);
  return {text, field};
}

void HeldList::build() {
  while (QLayoutItem* item = rows_->takeAt(0)) {
    if (item->widget()) item->widget()->deleteLater();
    delete item;
  }
  texts_.clear(), fields_.clear();
  if (shown_.empty() && !fit_) return;
  rows_->addWidget(make_label(tr("Held"), "heading", this));
  for (const auto& hold : shown_) {
    const QString name = hold.axis == Axis::x ? tr("Distance to the right, held") : tr("Distance downward, held");
    std::function<void(double)> edited;
    if (has_distance(hold)) {
      edited = [this, axis = hold.axis](double mm) {
        session_.commit(set_held_distance(session_.project(), piece_, axis, mm), tr("Change a held distance"),
                        "held-distance");
      };
    }
    const auto [text, field] = addRow(qs(word(hold.axis)), name, std::move(edited), [this, axis = hold.axis] {
      session_.commit(let_go(session_.project(), {piece_}, axis), tr("Let go"));
    });
    texts_.push_back(text), fields_.push_back(field);
  }
  if (!fit_) return;
  std::tie(fit_text_, fit_field_) = addRow(
      QStringLiteral("fit"), tr("Margin that is kept"),
      [this](double mm) {
        session_.commit(set_fit_margin(session_.project(), piece_, std::max(0.0, mm)), tr("Change a margin"),
                        "fit-margin");
      },
      [this] { session_.commit(let_go(session_.project(), {piece_}), tr("Let go")); });
}

}  // namespace dotlane
