#include "app/panels/second_look.hpp"

#include <QHBoxLayout>
#include <QPushButton>

#include "app/help/help_pages.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/check/checks.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kMost = 60;  // cards at once; the rest is counted

}  // namespace

SecondLook::SecondLook(Session& session, QWidget* parent) : Panel(tr("Second look"), parent), session_(session) {
  setObjectName(QStringLiteral("secondLook"));
  cards_ = new QVBoxLayout;
  cards_->setSpacing(8);
  column()->addLayout(cards_);
  auto* limits = addForm(tr("Speaks up about"));
  tiny_ = new NumberField(tr("Cut bits smaller than this"), NumberField::Kind::plain, body(), tr("mm²"), 2);
  tiny_->setObjectName(QStringLiteral("tinyLimit"));
  sliver_ = new NumberField(tr("Strips narrower than this"), NumberField::Kind::length, body());
  sliver_->setObjectName(QStringLiteral("sliverLimit"));
  sliver_->setRange(0, 20);
  limits->addRow(make_label(tr("bits smaller than"), "quiet", body()), tiny_);
  limits->addRow(make_label(tr("strips narrower than"), "quiet", body()), sliver_);
  brush_ = new NumberField(tr("Openings of stencils narrower than this"), NumberField::Kind::length, body());
  brush_->setObjectName(QStringLiteral("brushLimit"));
  brush_->setRange(0, 100);
  brush_->setToolTip(tr("What your brush or sponge still fills; 0: do not look."));
  bleed_ = new NumberField(tr("Edges of stencils nearer than this"), NumberField::Kind::length, body());
  bleed_->setObjectName(QStringLiteral("bleedLimit"));
  bleed_->setRange(0, 1000);
  bleed_->setToolTip(tr("What paint needs around the openings; 0: do not look."));
  limits->addRow(make_label(tr("openings narrower than"), "quiet", body()), brush_);
  limits->addRow(make_label(tr("stencil edges within"), "quiet", body()), bleed_);
  auto change = [this](double CheckSettings::*limit, double value) {
    Project next = session_.project();
    next.checks.*limit = value;
    session_.commit(std::move(next), tr("Change what is spoken of"), "checks");
  };
  connect(tiny_, &NumberField::edited, this, [change](double v) { change(&CheckSettings::tiny_mm2, v); });
  connect(sliver_, &NumberField::edited, this, [change](double v) { change(&CheckSettings::sliver_mm, v); });
  connect(brush_, &NumberField::edited, this, [change](double v) { change(&CheckSettings::brush_mm, v); });
  connect(bleed_, &NumberField::edited, this, [change](double v) { change(&CheckSettings::bleed_mm, v); });
  for (auto* f : {tiny_, sliver_, brush_, bleed_}) connect(f, &NumberField::committed, &session_, &Session::seal);
  auto show = [this] {
    tiny_->setValue(session_.project().checks.tiny_mm2);
    const CheckSettings& checks = session_.project().checks;
    const LengthUnit unit = session_.project().unit;
    sliver_->setValue(checks.sliver_mm, unit);
    brush_->setValue(checks.brush_mm, unit);
    bleed_->setValue(checks.bleed_mm, unit);
  };
  connect(&session_, &Session::shown, this, show);
  show();
  column()->addStretch();
  connect(&session_, &Session::findingsChanged, this, &SecondLook::update);
  update();
}

void SecondLook::update() {
  const auto& findings = session_.findings();
  const LengthUnit unit = session_.project().unit;
  if (findings == shown_ && filled_ && unit == unit_) return;
  filled_ = true;
  shown_ = findings;
  unit_ = unit;
  clear(cards_);
  setSubject(findings.empty() ? tr("all clear") : counted(findings.size(), tr("finding"), tr("findings")));
  if (findings.empty()) {
    cards_->addWidget(make_label(session_.project().pieces.empty()
                                     ? tr("Nothing to look at yet.")
                                     : tr("Nothing stands out. Still: test on a scrap of the same stock first, and "
                                          "keep to the machine's manual."),
                                 "quiet", body()));
  }
  for (std::size_t i = 0; i < std::min(kMost, findings.size()); ++i) {
    const Finding& finding = findings[i];
    auto* card = new QFrame(body());
    set_kind(card, finding.severity == Severity::error     ? "serious"
                   : finding.severity == Severity::warning ? "hands"
                                                           : "card");
    auto* box = new QVBoxLayout(card);
    box->setContentsMargins(12, 8, 12, 10);
    box->setSpacing(6);
    const QString word = finding.severity == Severity::error     ? tr("Must be settled")
                         : finding.severity == Severity::warning ? tr("Look here")
                                                                 : tr("Good to know");
    box->addWidget(make_label(word, "name", card));
    auto* text = make_label(qs(sentence(finding, unit)), "body", card);
    text->setTextInteractionFlags(Qt::TextSelectableByMouse);
    box->addWidget(text);
    // Long fixes get a row each, short ones share it with "show me".
    QHBoxLayout* row = nullptr;
    auto add = [&](QPushButton* button, bool alone) {
      set_kind(button, "chip");
      if (!row || alone) {
        row = new QHBoxLayout;
        row->setSpacing(6);
        box->addLayout(row);
        row->addStretch();
      }
      row->insertWidget(row->count() - 1, button);
    };
    if (const auto reason = why(finding.code)) {
      auto* ask = new QPushButton(tr("Why?"), card);
      ask->setObjectName(QStringLiteral("why-") + qs(finding.code));
      ask->setCheckable(true);
      auto* answer = make_label(tr("It speaks when %1, because %2.").arg(reason->when, reason->because) + u' ' +
                                    (reason->when.contains(u'(') || reason->because.contains(u'(')
                                         ? QString()
                                         : tr("Common practice or our own measure; no published source.")),
                                "quiet", card);
      answer->hide();
      connect(ask, &QPushButton::toggled, answer, &QWidget::setVisible);
      add(ask, false);
      box->addWidget(answer);
    }
    if (!finding.lines.empty()) {
      auto* show = new QPushButton(tr("Show me"), card);
      add(show, false);
      connect(show, &QPushButton::clicked, this,
              [this, lines = finding.lines, at = finding.at] { emit showLines(lines, at); });
    }
    for (const auto& fix : finding.fixes) {
      const QString words = qs(label(fix, unit));
      auto* button = new QPushButton(words, card);
      button->setObjectName(QStringLiteral("fix-") + qs(finding.code));
      add(button, words.size() > 22);
      connect(button, &QPushButton::clicked, this, [this, finding, fix, words] {
        session_.editDrawn([finding, fix](const Project& p, const Drawing& d) { return apply_fix(p, d, finding, fix); },
                           words, {}, takes_long(fix) ? Session::Where::aside : Session::Where::at_once);
      });
    }
    cards_->addWidget(card);
  }
  if (findings.size() > kMost)
    cards_->addWidget(make_label(tr("and %1 more").arg(findings.size() - kMost), "quiet", body()));
}

}  // namespace dotlane
