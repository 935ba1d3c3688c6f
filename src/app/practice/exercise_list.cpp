#include "app/practice/exercise_list.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPushButton>
#include <QScrollArea>
#include <QSettings>
#include <QVBoxLayout>
#include <algorithm>

#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

QString key_of(const Exercise& exercise) {
  return QStringLiteral("exercises/") +
         QString::fromUtf8(exercise.id.data(), static_cast<qsizetype>(exercise.id.size()));
}

}  // namespace

bool passed_before(const Exercise& exercise) { return QSettings().value(key_of(exercise), false).toBool(); }

void keep_passed(const Exercise& exercise) { QSettings().setValue(key_of(exercise), true); }

ExerciseList::ExerciseList(QWidget* parent) : QDialog(parent) {
  setWindowTitle(tr("Exercises on the simulated cutter"));
  setObjectName(QStringLiteral("exerciseList"));
  set_help(this, "practice");
  setAttribute(Qt::WA_DeleteOnClose);
  setModal(true);
  resize(660, 620);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(20, 18, 20, 18);
  column->setSpacing(8);
  const auto& all = exercises();
  const auto done = std::count_if(all.begin(), all.end(), [](const Exercise& e) { return passed_before(e); });
  column->addWidget(make_label(tr("Each is a job with something wrong in it. Look at it, run it, look what came of it; "
                                  "find the cause, mend it and "
                                  "run it again. Nothing real is spoiled. %1 of %2 passed.")
                                   .arg(done)
                                   .arg(all.size()),
                               "body", this));
  auto* scroll = new QScrollArea(this);
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  auto* inside = new QWidget(scroll);
  set_kind(inside, "panel");
  auto* rows = new QVBoxLayout(inside);
  rows->setContentsMargins(0, 0, 8, 0);
  rows->setSpacing(6);
  int level = 0, number = 0;
  bool next_found = false;
  for (const auto& exercise : all) {
    if (exercise.level != level) {
      level = exercise.level;
      rows->addWidget(make_label(level == 1   ? tr("To begin with")
                                 : level == 2 ? tr("Which way round, which first, what hands do")
                                              : tr("Tools and machines as they are"),
                                 "heading", inside));
    }
    auto* card = new QFrame(inside);
    set_kind(card, "card");
    auto* row = new QHBoxLayout(card);
    row->setContentsMargins(12, 8, 10, 8);
    auto* words = new QVBoxLayout;
    words->setSpacing(2);
    const bool passed = passed_before(exercise);
    words->addWidget(make_label(
        tr("%1. %2").arg(++number).arg(qs(sentence(title_of(exercise)))) + (passed ? tr("   ✓ passed") : QString()),
        "name", card));
    words->addWidget(make_label(qs(sentence(story_of(exercise))), "body", card));
    row->addLayout(words, 1);
    auto* open = new QPushButton(passed ? tr("Do it again") : tr("Begin"), card);
    open->setObjectName(QStringLiteral("begin-") +
                        QString::fromUtf8(exercise.id.data(), static_cast<qsizetype>(exercise.id.size())));
    open->setAccessibleName(tr("Begin %1").arg(qs(sentence(title_of(exercise)))));
    const bool leads = !passed && !next_found;
    next_found = next_found || leads;
    set_kind(open, leads ? "primary" : "pill");
    open->setAutoDefault(false);
    row->addWidget(open, 0, Qt::AlignTop);
    connect(open, &QPushButton::clicked, this, [this, id = std::string(exercise.id)] {
      emit picked(qs(id));
      accept();
    });
    rows->addWidget(card);
  }
  rows->addStretch(1);
  scroll->setWidget(inside);
  column->addWidget(scroll, 1);
  auto* buttons = new QHBoxLayout;
  buttons->addStretch(1);
  auto* close = new QPushButton(tr("Close it"), this);
  set_kind(close, "pill");
  close->setAutoDefault(false);
  buttons->addWidget(close);
  column->addLayout(buttons);
  connect(close, &QPushButton::clicked, this, &QDialog::reject);
}

}  // namespace dotlane
