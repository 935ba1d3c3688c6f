#include "app/log/log_panel.hpp"

#include <QDateTime>
#include <QFormLayout>
#include <QLocale>
#include <QPointer>
#include <QPushButton>

#include "app/log/came_out.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/logbook/differences.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

QString when_text(const LoggedRun& run) {
  return QLocale().toString(QDateTime::fromString(qs(run.begun), Qt::ISODate), QLocale::ShortFormat);
}

QString setting_text(const LoggedPass& p) {
  QStringList out{QLocale().toString(p.force_gf, 'f', 0) + QStringLiteral(" gf")};
  if (p.depth > 0) out << LogPanel::tr("mark %1").arg(QLocale().toString(p.depth, 'f', 0));
  out << QLocale().toString(p.speed_mm_s, 'f', 0) + QStringLiteral(" mm/s");
  if (p.repeats > 1) out << LogPanel::tr("%1 times").arg(p.repeats);
  return out.join(QStringLiteral(" · "));
}

}  // namespace

LogPanel::LogPanel(Session& session, LogDesk& desk, QWidget* parent)
    : Panel(tr("Log"), parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("logPanel"));
  contents_ = new QVBoxLayout;
  contents_->setSpacing(8);
  column()->addLayout(contents_);
  column()->addStretch();
  connect(&desk_, &LogDesk::chosenChanged, this, &LogPanel::rebuild);
  rebuild();
}

void LogPanel::rebuild() {
  clear(contents_);
  clear(footer());
  const auto& run = desk_.chosen();
  if (!run) {
    contents_->addWidget(make_label(tr("Click a run to see what was set and how it came out; with Ctrl a second one to "
                                       "compare them."),
                                    "quiet", body()));
    return;
  }
  desk_.compared() ? showBoth(*run, *desk_.compared()) : showRun(*run);
}

void LogPanel::showRun(const LoggedRun& run) {
  auto* name = make_label(qs(run.project), "title", body());
  name->setObjectName(QStringLiteral("loggedName"));
  contents_->addWidget(name);
  QString about = when_text(run);
  if (run.rehearsed) about += tr(", rehearsed");
  if (run.test_cut) about += tr(", a test cut");
  if (run.parts > 1) about += tr(", in %1 parts").arg(run.parts);
  contents_->addWidget(make_label(about, "quiet", body()));
  auto* figures = new QWidget(body());
  auto* form = new QFormLayout(figures);
  form->setContentsMargins(0, 0, 0, 0);
  form->setVerticalSpacing(3);
  const auto figure = [&](const QString& label, const QString& value) {
    auto* shown = make_label(value, "name", body());
    shown->setAlignment(Qt::AlignRight);
    shown->setWordWrap(false);
    form->addRow(make_label(label, "body", body()), shown);
  };
  if (run.real_s > 0) figure(tr("running time"), time_text(run.real_s));
  figure(tr("as planned"), time_text(run.planned_s));
  double hands = 0;
  for (const auto& pause : run.pauses) hands += pause.real_s;
  if (hands > 0) figure(tr("hands at pauses"), time_text(hands));
  if (run.missing > 0) figure(tr("strokes missing"), tr("%1 of %2").arg(run.missing).arg(run.strokes));
  contents_->addWidget(figures);
  contents_->addWidget(make_label(tr("How did it come out?"), "heading", body()));
  contents_->addWidget(new CameOutCard(desk_, run, body()));
  for (const auto& photo : run.photos) {
    auto* shown = new QLabel(body());
    shown->setObjectName(QStringLiteral("runPhoto"));
    shown->setAccessibleName(tr("A photograph of what came out"));
    constexpr int kWide = 240;
    desk_.photo(photo, kWide, [label = QPointer<QLabel>(shown), photo](const QImage& image) {
      if (!label) return;
      if (image.isNull()) {
        label->setText(tr("%1 is not there any more").arg(qs(photo)));
      } else {
        label->setPixmap(QPixmap::fromImage(image));
      }
    });
    contents_->addWidget(shown);
  }
  contents_->addWidget(make_label(tr("What was set"), "heading", body()));
  for (const auto& p : run.passes) {
    contents_->addWidget(
        make_label(tr("%1 %2, %3").arg(p.index).arg(role_name(p.role), qs(p.tool_name)), "name", body()));
    contents_->addWidget(make_label(setting_text(p) + QStringLiteral("\n") +
                                        tr("%1 · %2 m").arg(qs(p.stock_name), QLocale().toString(p.metres, 'f', 2)),
                                    "body", body()));
  }
  auto* again = new QPushButton(tr("Run this again"), body());
  again->setObjectName(QStringLiteral("runAgain"));
  again->setToolTip(tr("Opens the project as it was then, as a new one"));
  set_kind(again, "primary");
  footer()->addWidget(again);
  connect(again, &QPushButton::clicked, this, [this, id = run.id, title = qs(run.project)] {
    desk_.projectOf(id, [this, title](std::string text) { emit againAsked(qs(text), title); });
  });
}

void LogPanel::showBoth(const LoggedRun& one, const LoggedRun& other) {
  const bool swapped = other.begun < one.begun;
  const LoggedRun &first = swapped ? other : one, &second = swapped ? one : other;
  contents_->addWidget(make_label(tr("Two runs"), "title", body()));
  contents_->addWidget(
      make_label(tr("%1, %2\n%3, %4").arg(qs(first.project), when_text(first), qs(second.project), when_text(second)),
                 "quiet", body()));
  const auto found = differences(first, second);
  if (found.empty()) contents_->addWidget(make_label(tr("Nothing was set otherwise."), "body", body()));
  for (const auto& said : found) {
    auto* line = make_label(qs(sentence(said, session_.project().unit)), "body", body());
    line->setObjectName(QStringLiteral("difference"));
    contents_->addWidget(line);
  }
}

}  // namespace dotlane
