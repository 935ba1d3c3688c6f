#include "app/practice/exercise_card.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <algorithm>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

void clear_layout(QLayout* layout) {
  while (QLayoutItem* item = layout->takeAt(0)) {
    if (item->layout()) clear_layout(item->layout());
    if (item->widget()) item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
}

}  // namespace

ExerciseCard::ExerciseCard(QWidget* parent) : QFrame(parent) {
  setObjectName(QStringLiteral("exerciseCard"));
  set_kind(this, "hands");
  column_ = new QVBoxLayout(this);
  column_->setContentsMargins(16, 10, 14, 10);
  column_->setSpacing(5);
  hide();
}

void ExerciseCard::show(const Exercise* exercise) {
  exercise_ = exercise;
  verdict_ = {};
  hint_ = false;
  build();
}

void ExerciseCard::showVerdict(const Verdict& verdict) {
  verdict_ = verdict;
  build();
}

void ExerciseCard::forgetVerdict() {
  if (verdict_.points.empty()) return;
  verdict_ = {};
  build();
}

void ExerciseCard::build() {
  clear_layout(column_);
  setVisible(exercise_ != nullptr);
  if (!exercise_) return;
  const auto& all = exercises();
  const auto at = exercise_ - all.data();
  column_->addWidget(make_label(tr("Exercise %1 of %2").arg(at + 1).arg(all.size()), "quiet", this));
  column_->addWidget(make_label(qs(sentence(title_of(*exercise_))), "title", this));
  column_->addWidget(make_label(qs(sentence(story_of(*exercise_))), "body", this));
  if (!verdict_.points.empty()) {
    if (verdict_.passed()) {
      auto* passed = make_label(tr("Passed: this is what was wanted."), "name", this);
      passed->setObjectName(QStringLiteral("exercisePassed"));
      column_->addWidget(passed);
    } else {
      QStringList missing{tr("Not yet:")};
      for (const auto& point : verdict_.points) {
        if (!point.holds) missing << QStringLiteral("· ") + qs(sentence(point.said));
      }
      auto* missed = make_label(missing.join(QLatin1Char('\n')), "serious", this);
      missed->setObjectName(QStringLiteral("exerciseMissed"));
      column_->addWidget(missed);
    }
  }
  if (hint_) {
    auto* hint = make_label(qs(sentence(hint_of(*exercise_))), "body", this);
    hint->setObjectName(QStringLiteral("exerciseHint"));
    column_->addWidget(hint);
  }
  auto* row = new QHBoxLayout;
  row->setSpacing(6);
  const auto button = [&](const QString& text, const char* kind, const char* name, std::function<void()> run) {
    auto* made = new QPushButton(text, this);
    made->setObjectName(QString::fromLatin1(name));
    set_kind(made, kind);
    // Later: the button that was clicked is replaced.
    connect(made, &QPushButton::clicked, this, std::move(run), Qt::QueuedConnection);
    row->addWidget(made);
  };
  if (verdict_.passed() && at + 1 < static_cast<std::ptrdiff_t>(all.size())) {
    button(tr("The next one"), "primary", "nextExercise",
           [this, id = std::string(all[static_cast<std::size_t>(at) + 1].id)] { emit nextAsked(qs(id)); });
  } else if (!hint_ && !verdict_.passed()) {
    button(tr("A hint"), "chip", "exerciseHintButton", [this] {
      hint_ = true;
      build();
    });
  }
  button(tr("Leave it"), "chip", "leaveExercise", [this] { emit left(); });
  row->addStretch(1);
  column_->addLayout(row);
}

}  // namespace dotlane
