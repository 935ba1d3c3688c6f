#include "app/log/advice_line.hpp"

#include <QLocale>
#include <QVBoxLayout>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {

AdviceLine::AdviceLine(Session& session, LogDesk& desk, QWidget* parent)
    : QWidget(parent), session_(session), desk_(desk) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 4, 0, 2);
  column->setSpacing(3);
  text_ = make_label({}, "quiet", this);
  text_->setObjectName(QStringLiteral("advice"));
  column->addWidget(text_);
  set_ = new QPushButton(tr("Set it"), this);
  set_->setObjectName(QStringLiteral("takeAdvice"));
  set_kind(set_, "chip");
  column->addWidget(set_, 0, Qt::AlignLeft);
  connect(set_, &QPushButton::clicked, this, [this] {
    if (advice_) emit picked(advice_->force_gf, advice_->depth, advice_->repeats);
  });
  curve_box_ = new QWidget(this);
  auto* curve = new QVBoxLayout(curve_box_);
  curve->setContentsMargins(0, 2, 0, 0);
  curve->setSpacing(0);
  curve_ = new ForceCurveView(curve_box_);
  legend_ = make_label({}, "quiet", curve_box_);
  curve->addWidget(curve_);
  curve->addWidget(legend_);
  column->addWidget(curve_box_);
  curve_box_->hide();
  connect(curve_, &ForceCurveView::picked, this, [this](double force) { emit picked(force, depth_, repeats_); });
  connect(&desk_, &LogDesk::changed, this, [this] { asked_.clear(), curve_asked_.clear(); });  // more is known
  hide();
}

void AdviceLine::setPass(const Pass* pass) {
  const Sheet* sheet = pass ? find_sheet(session_.project(), pass->sheet) : nullptr;
  if (!sheet) {
    asked_.clear(), curve_asked_.clear(), advice_.reset();
    return hide();
  }
  force_ = pass->force_gf, depth_ = pass->depth, repeats_ = pass->repeats;
  showCurve(*pass, sheet->stock);
  const std::string asked = sheet->stock + "/" + pass->tool + "/" + std::string(word(pass->role));
  if (asked == asked_) {
    if (advice_) show(*advice_);
    return;
  }
  asked_ = asked;
  advice_.reset();
  hide();
  desk_.advise(session_.project(), sheet->stock, pass->tool, pass->role,
               [this, asked](const std::optional<Advice>& advice) {
                 if (asked != asked_ || !advice) return;
                 advice_ = advice;
                 show(*advice);
               });
}

void AdviceLine::showCurve(const Pass& pass, const std::string& stock) {
  if (pass.role != Role::cut) {
    curve_asked_.clear();
    return curve_box_->hide();
  }
  const std::string asked =
      stock + "/" + pass.tool + "/" + std::to_string(pass.depth) + "/" + std::to_string(pass.repeats);
  if (asked == curve_asked_) return curve_->setForce(force_);
  curve_asked_ = asked;
  desk_.forceCurve(session_.project(), stock, pass.tool, pass.role, pass.depth, pass.repeats,
                   [this, asked](const std::optional<ForceCurve>& curve) {
                     if (asked != curve_asked_) return;
                     curve_box_->setVisible(curve && !curve->tried.empty());
                     legend_->setText(tr("<span style='color:%1'>━</span> cuts through &nbsp; <span "
                                         "style='color:%2'>╍</span> cuts the mat, by force; below: your passes")
                                          .arg(theme().accent.name(), theme().serious.name()));
                     if (curve) curve_->show(*curve, force_, depth_);
                   });
}

void AdviceLine::show(const Advice& advice) {
  if (advice.from_runs == 0) {
    text_->setText(tr("From the shelf: nobody has said yet how a pass like this came out."));
    set_->hide();
    return QWidget::show();
  }
  const QLocale locale;
  QString what = tr("%1 gf").arg(locale.toString(advice.force_gf, 'f', 0));
  if (advice.depth > 0) what += tr(", mark %1").arg(locale.toString(advice.depth, 'f', 0));
  if (advice.repeats > 1) what += tr(", %1 times").arg(advice.repeats);
  QString line = tr("From %1 of yours: %2 comes out well with %3 %.")
                     .arg(counted(static_cast<std::size_t>(advice.from_runs), tr("pass"), tr("passes")), what)
                     .arg(locale.toString(100 * advice.confidence, 'f', 0));
  constexpr double kUnsure = 0.8;
  if (advice.confidence < kUnsure) {
    QString test = tr("%1 gf").arg(locale.toString(advice.next_test.force_gf, 'f', 0));
    if (advice.next_test.depth > 0) test += tr(", mark %1").arg(locale.toString(advice.next_test.depth, 'f', 0));
    line += QChar(' ') + tr("A test cut with %1 would tell most.").arg(test);
  }
  text_->setText(line);
  set_->setVisible(advice.force_gf != force_ || advice.depth != depth_ || advice.repeats != repeats_);
  QWidget::show();
}

}  // namespace dotlane
