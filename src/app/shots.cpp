#include "app/shots.hpp"

#include <QApplication>
#include <QDialog>
#include <QDir>
#include <QElapsedTimer>
#include <QFile>
#include <QFileInfo>
#include <QLineEdit>
#include <QPushButton>
#include <functional>

#include "app/fill/fill_panel.hpp"
#include "app/log/log_view.hpp"
#include "app/main_window.hpp"
#include "app/projects/projects_window.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "core/format/files.hpp"
#include "core/project/edit.hpp"
#include "render/job_export.hpp"

namespace dotlane {
namespace {

/// Runs the event loop until `done`, or for `ms` at most.
bool wait_for(const std::function<bool()>& done, int ms) {
  QElapsedTimer clock;
  clock.start();
  while (!done()) {
    if (clock.elapsed() > ms) return false;
    QCoreApplication::processEvents(QEventLoop::AllEvents, 20);
  }
  return true;
}

}  // namespace

Result<std::vector<std::string>> take_shots(const std::string& project, const std::string& folder) {
  auto probe = load_project(project);
  if (!probe) return tl::unexpected<Error>(probe.error());
  if (!QDir().mkpath(qs(folder))) return fail(ErrorKind::unreadable, {"folder-not-made"}, folder);
  use_theme(false);
  MainWindow window;
  window.resize(1280, 800);
  window.log().stopKeeping();
  window.show();
  window.session().open(qs(project));
  window.session().settle();
  std::vector<std::string> files;
  Result<void> trouble;
  auto shoot = [&](const char* name) {
    window.session().settle();
    if (window.stage() == Stage::make) {
      window.make().figure().finishPainting(), window.make().sheet().finishPainting();
    } else {
      window.stage() == Stage::sheets ? window.sheets().finishPainting() : window.bench().finishPainting();
    }
    if (QWidget* focused = QApplication::focusWidget()) focused->clearFocus();
    wait_for([] { return false; }, 60);
    const std::string path = folder + "/" + name + ".png";
    if (auto ok = write_png(window.grab().toImage(), path); !ok) trouble = ok;
    files.push_back(path);
  };
  const auto shoot_box = [&](QWidget& box, const char* name) {
    wait_for([] { return false; }, 60);
    files.push_back(folder + "/" + name + ".png");
    if (auto ok = write_png(box.grab().toImage(), files.back()); !ok) trouble = ok;
  };
  auto select_first = [&] {
    const auto& pieces = window.session().project().pieces;
    if (!pieces.empty()) window.session().select({{pieces.front()->id, ""}});
  };
  select_first();
  const Layout layout = window.session().derived().layout;
  const auto act = [&](const char* action) {
    window.actions().find(QString::fromLatin1(action))->trigger();
    window.session().settle();
  };
  const auto answer = [&](const QString& text) {
    auto* notice = window.findChild<Notice*>();
    wait_for([&] { return notice->isVisible(); }, 10'000);
    for (auto* button : notice->findChildren<QPushButton*>()) {
      if (button->isVisible() && button->text() == text) return button->click();
    }
  };
  const bool laid_anew = !layout.as_figure();
  const bool scraps = std::any_of(layout.laid.begin(), layout.laid.end(), [](const LaidPart& k) { return k.copy > 1; });
  if (laid_anew) {  // what such a project shows that others do not; the rest they show as well
    if (!scraps) {
      // With a backing of plain card behind all of it, in tiles.
      act("select-all");
      act("outline-behind");
      const std::vector<int> backing = window.session().selectedPieces();
      if (!backing.empty() && find_stock(window.session().project(), "cover-80"))
        window.session().commit(set_stock(window.session().project(), backing.front(), "cover-80"), "Stock");
      act("divide-large");
      wait_for([&] { return !window.session().editing(); }, 10'000);
      answer(MainWindow::tr("Leave them"));
      if (const Piece* piece = backing.empty() ? nullptr : find_piece(window.session().project(), backing.front());
          piece && !piece->steps.empty())
        window.openStep(piece->steps.back().id);
      shoot("figure");
      for (int k = 0; k < 3; ++k) act("undo");
      window.session().select({});
      act("how-big");
      answer(MainWindow::tr("Sizes and sheets"));
      if (auto* sheet = window.findChild<QDialog*>(QStringLiteral("sizeSheet"))) {
        wait_for([] { return false; }, 8000);  // the curves come point by point
        shoot_box(*sheet, "how-big");
        sheet->reject();
      }
    }
    window.setStage(Stage::sheets);
    const auto lies =
        std::find_if(layout.laid.begin(), layout.laid.end(), [](const LaidPart& k) { return k.sheet > 1; });
    if (lies != layout.laid.end()) window.desk().choose({static_cast<std::size_t>(lies - layout.laid.begin())});
    shoot(scraps ? "scraps" : "sheets");
    window.session().select({});
    if (!scraps) {
      // Put together up to the head.
      window.setStage(Stage::make);
      window.session().settle();
      const auto parts = static_cast<int>(layout.parts.size());
      for (int k = 0; k < 2 * parts / 3; ++k) act("make-place");
      shoot("make");
      for (int k = 0; k < 2 * parts / 3; ++k) act("undo");
    }
    window.setStage(Stage::draft);
  }
  select_first();
  shoot("draft");
  // The longest recipe with its last step open, then all layers as they will lie on each other.
  const Piece* longest = nullptr;
  bool trims = false;
  for (const auto& piece : window.session().project().pieces) {
    if (!longest || piece->steps.size() > longest->steps.size()) longest = &*piece;
    for (const auto& step : piece->steps) trims = trims || step.kind == "trim-under";
  }
  if (longest && longest->steps.size() > 2) {
    window.session().select({{longest->id, ""}});
    window.openStep(longest->steps[1].id);
    shoot("recipe");
  }
  // The first piece that has a step of this kind and at least so many lines, with that step open.
  const auto open_first = [&](const char* kind, std::size_t lines) {
    for (const auto& piece : window.session().project().pieces) {
      const auto step = std::find_if(piece->steps.begin(), piece->steps.end(),
                                     [kind](const Step& known) { return known.kind == kind; });
      const DrawnPiece* drawn = find_drawn(window.session().drawing(), piece->id);
      if (step == piece->steps.end() || !drawn || drawn->piece->lines.size() < lines) continue;
      window.session().select({{piece->id, ""}});
      window.openStep(step->id);
      return true;
    }
    return false;
  };
  for (const auto& piece : window.session().project().pieces) {
    if (piece->holds.empty()) continue;
    window.session().select({{piece->id, ""}});
    shoot("held");
    break;
  }
  if (open_first("repeat", 100)) shoot("repeat");
  if (open_first("paint-layer", 1)) {
    window.bench().setHiddenShown(false);
    window.bench().setStacked(true);
    window.bench().zoomToSelection();
    shoot("painted");
    window.bench().zoomToFit();
    window.bench().setStacked(false);
    window.bench().setHiddenShown(true);
  } else if (open_first("bridge", 1)) {
    window.bench().zoomToSelection();
    shoot("stencil");
    window.bench().zoomToFit();
  }
  if (open_first("applique", 2)) {
    window.bench().setStacked(true);
    shoot("fabric");
    window.bench().setStacked(false);
  }
  if (trims) {
    window.bench().setStacked(true);
    shoot("stacked");
    window.bench().setStacked(false);
  }
  for (const auto& piece : window.session().project().pieces) {
    if (piece->source.kind != "picture") continue;
    window.session().select({{piece->id, ""}});
    window.openStep(0);
    shoot("traced");
    break;
  }
  for (const auto& piece : window.session().project().pieces) {
    if (piece->source.kind != "lettering") continue;
    window.session().select({{piece->id, ""}});
    window.openStep(0);
    window.session().settle();
    window.typing().begin(piece->id);
    shoot("lettering");
    for (const auto& [action, dialog, name] : {std::tuple{"lettering-face", "faceChooser", "typefaces"},
                                               {"lettering-forms", "letterformPicker", "letterforms"}}) {
      window.actions().find(QString::fromLatin1(action))->trigger();
      window.session().settle();
      if (auto* box = window.findChild<QDialog*>(QString::fromLatin1(dialog))) {
        shoot_box(*box, name);
        box->reject();
      }
    }
    window.typing().end();
    break;
  }
  for (const auto& piece : window.session().project().pieces) {
    const auto fill =
        std::find_if(piece->steps.begin(), piece->steps.end(), [](const Step& s) { return s.on && s.kind == "fill"; });
    if (fill == piece->steps.end()) continue;
    window.session().select({{piece->id, ""}});
    window.openStep(fill->id);
    window.bench().zoomToSelection();
    window.session().settle();
    const auto panels = window.findChildren<FillPanel*>();
    const auto seen = std::find_if(panels.begin(), panels.end(), [](FillPanel* p) { return p->isVisible(); });
    FillPanel* panel = seen == panels.end() ? nullptr : *seen;
    if (panel) {
      wait_for([&] { return panel->figures() && !panel->curve().advice().curve.empty(); }, 20'000);
      window.session().settle();
    }
    shoot("fill");
    window.bench().zoomToFit();
    break;
  }
  select_first();
  if (!QFile::exists(qs(folder + "/sheets.png"))) {  // a packed project has more to show
    window.setStage(Stage::sheets);
    shoot("sheets");
  }
  window.setStage(Stage::passes);
  const Plan& plan = window.session().derived().plan;  // always the present one
  if (!plan.passes.empty()) emit window.lanes().passPicked(static_cast<int>(plan.passes.size()));
  window.session().select({});
  window.lanes().setCurrentPass(static_cast<int>(plan.passes.size()));
  window.lanes().setTime(plan.seconds * 0.62);
  window.bench().setScrub(plan.seconds * 0.62);
  shoot("passes");
  window.lanes().setTime(-1);
  window.bench().setScrub(-1);
  // With the roles in the wrong order, the findings have something to say.
  Project wrong = window.session().project();
  std::swap(wrong.plan.role_order.front(), wrong.plan.role_order.back());
  window.session().commit(std::move(wrong), QString());
  window.showSecondLook(true);
  shoot("second-look");
  window.session().undo();
  window.session().settle();
  window.showSecondLook(false);
  window.setStage(Stage::run);
  shoot("run-ready");
  if (!plan.passes.empty()) {
    using State = RunController::State;
    auto& run = window.run();
    run.setTimeScale(0);
    run.setWhatIf(false, FaultKind::slip);  // an outcome with something to say
    run.start();
    if (!plan.pauses.empty() &&
        wait_for([&] { return run.state() == State::paused || run.state() == State::over; }, 60'000) &&
        run.state() == State::paused) {
      shoot("run-pause");
    }
    while (wait_for([&] { return run.state() == State::paused || run.state() == State::over; }, 60'000) &&
           run.state() == State::paused) {
      std::vector<std::string> holders;
      for (const auto& load : run.pause()->holders) holders.push_back(load.holds);
      run.confirmLoaded(holders);
    }
    wait_for([&] { return run.outcome().has_value(); }, 60'000);
    if (auto* show = window.findChild<QPushButton*>(QStringLiteral("showFarthest"))) show->click();
    shoot("run-done");
    run.clear();
  }
  window.setStage(Stage::log);
  window.log().settle();
  if (window.season().tiles().model()->rowCount() > 1) {
    window.season().tiles().setCurrentIndex(window.season().tiles().model()->index(1, 0));
    window.log().settle();
    shoot("log");
    window.log().settle();  // its pictures were asked for as it was painted
    shoot("log");
  }
  act("projects");
  if (auto* shelf = window.findChild<ProjectsWindow*>()) {
    shelf->desk().look({QFileInfo(window.session().path()).absolutePath()});
    shelf->desk().settle();
    if (auto* asked = shelf->findChild<QLineEdit*>(QStringLiteral("projectSearch")))
      asked->setText(QStringLiteral("star"));
    wait_for([] { return false; }, 400);
    shelf->desk().settle();
    shoot_box(*shelf, "projects");
    shelf->desk().settle();  // its pictures were asked for as it was painted
    shoot_box(*shelf, "projects");
    shelf->close();
  }
  window.setStage(Stage::passes);
  act("calibrate");
  if (auto* dialog = window.findChild<QDialog*>(QStringLiteral("calibrateWindow"))) {
    shoot_box(*dialog, "calibrate");
    dialog->reject();
  }
  use_theme(true);
  window.setStage(Stage::draft);
  select_first();
  shoot("draft-dark");
  use_theme(false);
  // An exercise whose first run has failed, as it does.
  act("exercises");
  if (auto* begin = window.findChild<QPushButton*>(QStringLiteral("begin-chisel-tip"))) {
    begin->click();
    window.session().settle();
    window.setStage(Stage::run);
    auto& run = window.run();
    run.setTimeScale(0);
    run.start();
    wait_for([&] { return run.state() == RunController::State::over && run.outcome(); }, 20'000);
    wait_for([&] { return window.findChild<QLabel*>(QStringLiteral("exerciseMissed")) != nullptr; }, 5'000);
    shoot("exercise");
    run.clear();
  }
  if (!trouble) return tl::unexpected<Error>(trouble.error());
  return files;
}

}  // namespace dotlane
