#include "app/practice/practice.hpp"

#include <QFileInfo>
#include <QPointer>
#include <utility>

#include "app/dialogs.hpp"
#include "app/practice/calibrate_window.hpp"
#include "app/practice/exercise_list.hpp"
#include "app/units.hpp"
#include "core/format/files.hpp"
#include "core/project/workshop.hpp"
#include "words/sentences.hpp"

namespace dotlane {

Practice::Practice(Session& session, RunController& run, Actions& actions, Notice& notice, ExerciseCard& card,
                   AfterSaving after_saving, QWidget* window)
    : QObject(window),
      session_(session),
      run_(run),
      notice_(notice),
      card_(card),
      after_saving_(std::move(after_saving)),
      window_(window) {
  actions.add("calibrate", tr("Calibrate tools, stock and machine…"), Qt::ALT | Qt::SHIFT | Qt::Key_K,
              [this] { calibrate(); });
  actions.add("exercises", tr("Exercises on the simulated cutter…"), Qt::ALT | Qt::SHIFT | Qt::Key_T, [this] {
    auto* list = new ExerciseList(window_);
    connect(list, &ExerciseList::picked, this, &Practice::begin);
    list->show();
  });
  actions.add("take-workshop", tr("Take over tools, stocks and machine of another project…"),
              Qt::ALT | Qt::SHIFT | Qt::Key_W, [this] { takeWorkshop(); });
  connect(&session_, &Session::opened, this, [this] {
    if (!opening_) end(), came_from_.clear();
  });
  connect(&session_, &Session::changed, &card_, &ExerciseCard::forgetVerdict);
  connect(&run_, &RunController::stateChanged, this, [this] {
    if (lesson_ && run_.state() == RunController::State::over) judgeRun();
  });
  connect(&card_, &ExerciseCard::left, this, [this] { leaving([this] { session_.newProject(); }); });
  connect(&card_, &ExerciseCard::nextAsked, this, &Practice::begin);
}

void Practice::leaving(const std::function<void()>& then) {
  // Nobody keeps an exercise, unless it was saved once.
  exercise_&& session_.path().isEmpty() ? then() : after_saving_(then);
}

void Practice::calibrate() {
  auto* window = new CalibrateWindow(session_, window_);
  connect(window, &CalibrateWindow::sheetAsked, this, &Practice::openSheet);
  connect(window, &CalibrateWindow::taken, this, &Practice::offerWayBack);
  window->show();
}

void Practice::openSheet(const Project& sheet) {
  after_saving_([this, sheet] {
    const QString from = session_.path().isEmpty() ? came_from_ : session_.path();
    opening_ = true;
    session_.openMade(sheet);
    opening_ = false;
    end();
    came_from_ = from;
    emit draftAsked();
  });
}

void Practice::offerWayBack(const CalibrationOf& of, const Readings& readings) {
  const QString back = came_from_;
  if (back.isEmpty() || !session_.path().isEmpty()) return;
  notice_.ask(tr("Taken over here. Take it to %1 as well?").arg(QFileInfo(back).fileName()),
              {{tr("Go back with it"),
                [this, of, readings, back] {
                  after_saving_([this, of, readings, back] {
                    session_.open(back, {}, [this, of, readings](bool read) {
                      if (!read) return;
                      auto changed = with_readings(session_.project(), of, readings);
                      if (changed) session_.commit(std::move(*changed), tr("Take over what was read"));
                    });
                  });
                }},
               {tr("Stay here"), {}}});
}

void Practice::takeWorkshop() {
  const auto files =
      dialogs().openFiles(window_, tr("Take over the workshop of a project"), tr("Dot Lane projects (*.dotlane)"));
  if (files.isEmpty()) return;
  session_.aside([self = QPointer<Practice>(this), path = files.front()] {
    auto from = std::make_shared<Result<Project>>(load_project(path.toStdString()));
    return [self, from] {
      if (!self) return;
      if (!*from) return self->notice_.say(qs(line_of(from->error())), true);
      self->session_.commit(with_workshop(self->session_.project(), **from), tr("Take over tools, stocks and machine"));
    };
  });
}

void Practice::begin(const QString& id) {
  const Exercise* exercise = find_exercise(id.toStdString());
  if (!exercise) return;
  leaving([this, exercise] {
    opening_ = true;
    lesson_ = std::make_shared<const Lesson>(lesson_of(*exercise));
    session_.openMade(lesson_->start);
    opening_ = false;
    exercise_ = exercise;
    run_.setWorld([lesson = lesson_](const Project& tried) { return physics_of(*lesson, tried); });
    card_.show(exercise);
    emit draftAsked();
  });
}

void Practice::end() {
  if (!exercise_) return;
  exercise_ = nullptr;
  lesson_.reset();
  run_.setWorld({});
  card_.show(nullptr);
}

void Practice::judgeRun() {
  // The controller tells more than once that a run is over: what is judged is the run, whoever told.
  session_.aside([self = QPointer<Practice>(this), lesson = lesson_, job = run_.job(), derived = run_.derived(),
                  record = std::make_shared<const RunRecord>(run_.record())] {
    const Verdict verdict = job && derived ? judge(*lesson, *derived, *job, *record) : Verdict{};
    return [self, lesson, job, verdict] {
      if (!self || self->lesson_ != lesson || self->run_.job() != job ||
          self->run_.state() != RunController::State::over)
        return;
      if (verdict.passed()) keep_passed(*self->exercise_);
      self->card_.showVerdict(verdict);
    };
  });
}

}  // namespace dotlane
