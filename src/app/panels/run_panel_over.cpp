// Of the Run panel: what came of a run, how it came out, and going on with one that was broken off.
#include <QFormLayout>
#include <QLocale>
#include <QSpinBox>
#include <algorithm>

#include "app/log/came_out.hpp"
#include "app/panels/run_panel.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/geometry/affine_fit.hpp"
#include "core/plan/stock_book.hpp"

namespace dotlane {
namespace {

/// To a hundredth of a millimetre.
QString fine_length_text(double mm, LengthUnit unit) {
  return length_number(mm, unit, 2) + QChar(' ') + unit_word(unit);
}

}  // namespace

void RunPanel::buildOver() {
  const RunRecord& record = run_.record();
  const bool done = record.outcome == Outcome::done;
  setSubject(done ? tr("done") : record.outcome == Outcome::cancelled ? tr("cancelled") : tr("failed"));
  auto* card = new QFrame(body());
  set_kind(card, done ? "card" : "serious");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  const bool rehearsed = run_.cutter().rehearses;
  box->addWidget(make_label(done && run_.testing() ? tr("The test is cut")
                            : done                 ? rehearsed ? tr("The rehearsal is done") : tr("The run is done")
                            : record.outcome == Outcome::cancelled ? tr("The run was cancelled")
                            : run_.canGoOn()                       ? tr("The run was broken off")
                                                                   : tr("The run failed"),
                            "title", card));
  if (!run_.problem().isEmpty()) box->addWidget(make_label(run_.problem(), "body", card));
  if (done && run_.testing())
    box->addWidget(
        make_label(tr("Leave the mat where it is. Lift the square and its triangle: both should come off clean, "
                      "the mat below unmarked. If not, change force or depth at Passes and test again."),
                   "body", card));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(3);
  box->addLayout(form);
  auto figure = [&](const QString& name, const QString& value) {
    auto* label = make_label(value, "name", card);
    label->setAlignment(Qt::AlignRight);
    label->setWordWrap(false);
    form->addRow(make_label(name, "body", card), label);
  };
  if (record.seconds > 0) figure(tr("running time"), time_text(record.seconds));
  const Plan& plan = run_.plan();
  figure(tr("as planned"), span_text(plan.running_seconds(), plan.spread_seconds()));
  figure(tr("pauses"), QLocale().toString(record.pauses));
  for (const auto& [tool, mm] : record.marked_mm)
    figure(tool_name(session_.project(), tool), run_length_text(mm, session_.project().unit));
  contents_->addWidget(card);
  if (done && !rehearsed && !run_.testing()) {
    auto* used = new QHBoxLayout;
    addButton(tr("Take what was used off the shelf"), "pill", "useUp", used, [this] {
      session_.editLaid(
          [](const Project& p, const Drawing& drawing, const Layout& layout) { return use_up(p, drawing, layout); },
          tr("Take what was used off the shelf"));
    });
    contents_->addLayout(used);
  }
  how_ = new QVBoxLayout;
  how_->setSpacing(8);
  contents_->addLayout(how_);
  askHow();
  addOutcome();
  if (run_.canGoOn()) addGoingOn();
  const auto& layout = session_.derived().layout;
  for (const auto& found : record.registrations) {
    const Sheet* sheet = layout.sheet(found.sheet);
    if (!sheet) continue;
    const auto placed = std::find_if(layout.sheets.begin(), layout.sheets.end(),
                                     [&](const LaidSheet& s) { return s.sheet.id == found.sheet; });
    const Displacement by = displacement_of(found.map, sheet->area.centre());
    contents_->addWidget(
        make_label(tr("Sheet %1 lay %2 and %3° from its place; its marks agree within %4.")
                       .arg(placed - layout.sheets.begin() + 1)
                       .arg(length_text(distance({}, by.shift), session_.project().unit))
                       .arg(QLocale().toString(std::abs(by.turn_deg), 'f', 1))
                       .arg(fine_length_text(std::max(0.01, found.residual_mm), session_.project().unit)),
                   "body", body()));
  }
  contents_->addWidget(
      make_label(tr("The bench shows what each tool marked, at the width of its tip."), "quiet", body()));
  auto* another = addButton(run_.testing() ? tr("Set up the run itself") : tr("Set up another run"), "soft", "clearRun",
                            footer(), [this] { run_.clear(); });
  if (!leads_on_) leads_on_ = another;
}

void RunPanel::askHow() {
  if (!how_ || how_->count() > 0 || !run_.logged() || run_.logged()->rehearsed) return;
  how_->addWidget(make_label(tr("How did it come out?"), "heading", body()));
  how_->addWidget(new CameOutCard(log_, *run_.logged(), body()));
}

void RunPanel::addOutcome() {
  const auto& found = run_.outcome();
  if (!found || run_.record().marks.empty()) return;
  const LengthUnit unit = session_.project().unit;
  auto* card = new QFrame(body());
  set_kind(card, "card");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  box->addWidget(make_label(tr("Held against the plan"), "name", card));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(3);
  box->addLayout(form);
  const auto row = [&](const QString& name, const QString& value, const char* object) {
    auto* label = make_label(value, "name", card);
    label->setObjectName(QLatin1String(object));
    label->setAlignment(Qt::AlignRight);
    label->setWordWrap(false);
    form->addRow(make_label(name, "body", card), label);
  };
  const std::size_t all = found->made + found->twice + found->missing;
  row(tr("strokes made once"), tr("%1 of %2").arg(found->made).arg(all), "strokesMade");
  if (found->missing > 0) row(tr("not made whole"), QLocale().toString(found->missing), "strokesMissing");
  if (found->twice > 0) row(tr("made again"), QLocale().toString(found->twice), "strokesTwice");
  row(tr("farthest off"), fine_length_text(found->most_mm, unit), "farthestOff");
  constexpr double kLeast = 0.01;
  row(tr("off in the mean"),
      found->mean_mm < kLeast ? QStringLiteral("< ") + fine_length_text(kLeast, unit)
                              : fine_length_text(found->mean_mm, unit),
      "meanOff");
  row(tr("corners rounded"), QLocale().toString(found->corners_rounded), "cornersRounded");
  if (found->weak_mm > 1) row(tr("not cut through"), run_length_text(found->weak_mm, unit), "notThrough");
  if (found->deep_mm > 1) row(tr("cut into the mat"), run_length_text(found->deep_mm, unit), "intoMat");
  if (found->gaps_mm > 1) row(tr("gaps"), run_length_text(found->gaps_mm, unit), "gaps");
  constexpr double kWorthShowing = 0.1;
  if (found->most_mm > kWorthShowing && found->worst_pass < run_.plan().passes.size()) {
    const Pass& pass = run_.plan().passes[found->worst_pass];
    box->addWidget(make_label(tr("It is farthest off in pass %1, %2 with %3: the ring on the bench.")
                                  .arg(found->worst_pass + 1)
                                  .arg(role_name(pass), tool_name(session_.project(), pass.tool)),
                              "body", card));
    addButton(tr("Show it"), "pill", "showFarthest", box, [this, at = found->worst] { emit placeAsked(at); });
  }
  contents_->addWidget(card);
}

void RunPanel::addGoingOn() {
  const auto strokes = run_.strokes();
  auto* card = new QFrame(body());
  card->setObjectName(QStringLiteral("goOnCard"));
  set_kind(card, "hands");
  auto* box = new QVBoxLayout(card);
  box->setContentsMargins(12, 10, 12, 12);
  box->setSpacing(8);
  box->addWidget(make_label(tr("It can go on"), "title", card));
  QSpinBox* after = nullptr;
  if (run_.unsure()) {
    box->addWidget(make_label(
        tr("The cutter does not know how far it came. Look at the work: the last stroke that is made for certain is "
           "number %1, and up to number %2 may be.")
            .arg(strokes.made)
            .arg(strokes.maybe),
        "body", card));
    after = new QSpinBox(card);
    after->setObjectName(QStringLiteral("strokesBox"));
    after->setAccessibleName(tr("Strokes that are made"));
    after->setRange(static_cast<int>(strokes.made), static_cast<int>(std::max(strokes.made, strokes.maybe)));
    after->setPrefix(tr("made: "));
    box->addWidget(after);
  } else {
    box->addWidget(make_label(tr("%1 of %2 strokes are made. It goes on at the exact place; nothing is made twice.")
                                  .arg(strokes.made)
                                  .arg(strokes.all),
                              "body", card));
  }
  box->addWidget(
      make_label(tr("Leave the mat where it is, with what lies on it, and load what was loaded: only then is "
                    "the rest in register."),
                 "body", card));
  const auto holders = run_.holdersNow();
  for (std::size_t i = 0; i < holders.size(); ++i) {
    auto* line = new QHBoxLayout;
    line->setSpacing(8);
    auto* mark = new QLabel(card);
    mark->setPixmap(holder_icon(static_cast<int>(i) + 1).pixmap(20, 20));
    line->addWidget(mark, 0, Qt::AlignTop);
    const QString name = holders[i].empty() ? tr("empty") : tool_name(session_.project(), holders[i]);
    line->addWidget(make_label(name, "body", card), 1);
    box->addLayout(line);
  }
  contents_->addWidget(card);
  auto* row = new QHBoxLayout;
  leads_on_ = addButton(tr("Go on"), "primary", "goOnRun", row, [this, after] {
    if (after) {
      run_.goOnAfter(static_cast<std::size_t>(after->value()));
    } else {
      run_.goOn();
    }
  });
  addButton(tr("The mat was taken out"), "pill", "matTakenOut", row, [this] { run_.matTakenOut(); });
  footer()->addLayout(row);
}

}  // namespace dotlane
