#include "app/panels/passes_panel.hpp"

#include <QHBoxLayout>
#include <QToolButton>
#include <algorithm>

#include "app/panels/holders_form.hpp"
#include "app/panels/pace_form.hpp"
#include "app/panels/tool_rack.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/plan/by_hand.hpp"
#include "core/project/edit.hpp"
#include "render/role_style.hpp"

namespace dotlane {

namespace {

/// What comes of the order by hand.
QString hand_text(const Plan& plan) {
  QStringList more;
  const auto count = [&](int n, const QString& one, const QString& many) {
    if (n > 0) more << counted(static_cast<std::size_t>(n), one, many);
  };
  count(plan.hand_mats, QObject::tr("mat"), QObject::tr("mats"));
  count(plan.hand_pauses, QObject::tr("pause"), QObject::tr("pauses"));
  count(plan.hand_swaps, QObject::tr("swap"), QObject::tr("swaps"));
  return more.isEmpty() ? QObject::tr("The passes were put in order by hand.")
                        : QObject::tr("The passes were put in order by hand. That takes %1 more.")
                              .arg(more.join(QStringLiteral(", ")));
}

}  // namespace

PassesPanel::PassesPanel(Session& session, LogDesk& log, QWidget* parent)
    : Panel(tr("Passes"), parent), session_(session) {
  setObjectName(QStringLiteral("passesPanel"));
  using Kind = NumberField::Kind;
  pass_text_ = make_label({}, "body", body());
  column()->addWidget(pass_text_);
  pass_fields_ = new QWidget(body());
  auto* form = new QFormLayout(pass_fields_);
  form->setContentsMargins(0, 0, 0, 0);
  form->setVerticalSpacing(0);
  auto setting = [&](const QString& label, const QString& name, const QString& unit, double low, double high,
                     auto apply, Kind kind = Kind::plain, int decimals = 0) {
    auto* f = new NumberField(name, kind, pass_fields_, unit, decimals);
    f->setRange(low, high);
    form->addRow(make_label(label, "quiet", pass_fields_), f);
    connect(f, &NumberField::edited, this, [this, label, apply](double v) {
      editSetting(tr("Change the %1").arg(label), label.toStdString(), [&](Setting& s) { apply(s, v); });
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  force_ =
      setting(tr("force"), tr("Force of this pass"), tr("gf"), 1, 5000, [](Setting& s, double v) { s.force_gf = v; });
  speed_ = setting(
      tr("speed"), tr("Speed of this pass"), tr("/s"), 0.5, 1000, [](Setting& s, double v) { s.speed_mm_s = v; },
      Kind::length);
  repeats_ = setting(tr("repeats"), tr("Repeats of this pass"), tr("times"), 1, 99,
                     [](Setting& s, double v) { s.repeats = static_cast<int>(v); });
  depth_ =
      setting(tr("blade depth"), tr("Blade depth mark"), tr("mark"), 0, 20, [](Setting& s, double v) { s.depth = v; });
  tabs_ = setting(tr("hold-down tabs"), tr("Hold-down tabs of each contour; 0 = none"), tr("each"), 0, 99,
                  [](Setting& s, double v) { s.tabs = static_cast<int>(v); });
  tabs_->setObjectName(QStringLiteral("passTabs"));
  tabs_->setToolTip(
      tr("Places of each cut contour that are left standing on straight stretches, so that the part stays "
         "held until it is pushed out"));
  tab_ = setting(
      tr("tab width"), tr("Width of a hold-down tab"), {}, 0.1, 20, [](Setting& s, double v) { s.tab_mm = v; },
      Kind::length, 1);
  tab_->setObjectName(QStringLiteral("passTabWidth"));
  slow_radius_ = setting(
      tr("slow in curves under"), tr("Radius of curves that are gone along slowly"), {}, 0, 100,
      [](Setting& s, double v) { s.slowed.radius_mm = v; }, Kind::length, 1);
  slow_radius_->setObjectName(QStringLiteral("passSlowRadius"));
  slow_radius_->setToolTip(
      tr("In curves tighter than this radius the tool goes no faster than said below; 0: nowhere"));
  slow_radius_->setZero(tr("nowhere"));
  slow_ = setting(
      tr("speed there"), tr("Speed in tight curves"), tr("/s"), 0.5, 1000,
      [](Setting& s, double v) { s.slowed.speed_mm_s = v; }, Kind::length);
  slow_->setObjectName(QStringLiteral("passSlowSpeed"));
  advice_ = new AdviceLine(session_, log, pass_fields_);
  form->addRow(advice_);
  connect(advice_, &AdviceLine::picked, this, [this](double force, double depth, int repeats) {
    editSetting(tr("Set what came out well"), {}, [&](Setting& s) {
      s.force_gf = force, s.repeats = repeats;
      if (depth > 0) s.depth = depth;
    });
  });
  now_ = new QCheckBox(tr("run this time"), pass_fields_);
  now_->setObjectName(QStringLiteral("passNow"));
  now_->setToolTip(tr("A pass that is not run stays in the project"));
  now_->setContentsMargins(0, 4, 0, 0);
  form->setVerticalSpacing(3);
  form->addRow(now_);
  connect(now_, &QCheckBox::clicked, this, [this](bool on) {
    if (const Pass* p = pass()) session_.commit(set_pass_not_now(session_.project(), p->key, !on), tr("Not this time"));
  });
  pin_ = new QCheckBox(tr("pinned to its place"), pass_fields_);
  pin_->setObjectName(QStringLiteral("passPin"));
  pin_->setToolTip(tr("It keeps its place among the passes of its mat when all is planned again"));
  form->addRow(pin_);
  connect(pin_, &QCheckBox::clicked, this, [this](bool on) {
    const Derived& derived = session_.derived();
    session_.commit(pin_pass(session_.project(), derived.drawing, derived.plan, pass_, on),
                    on ? tr("Pin a pass") : tr("Let go of a pinned pass"));
  });
  why_ = make_label({}, "quiet", pass_fields_);
  why_->setObjectName(QStringLiteral("passWhy"));
  why_->setContentsMargins(0, 4, 0, 6);
  form->addRow(why_);
  let_go_ = new QPushButton(tr("Let go of its place"), pass_fields_);
  let_go_->setObjectName(QStringLiteral("passLetGo"));
  let_go_->setToolTip(tr("It was put there by hand; the planner may choose again"));
  set_kind(let_go_, "chip");
  form->addRow(let_go_);
  connect(let_go_, &QPushButton::clicked, this, [this] {
    const Derived& derived = session_.derived();
    session_.commit(let_pass_go(session_.project(), derived.drawing, derived.plan, pass_), tr("Let go of a pass"));
  });
  column()->addWidget(pass_fields_);
  left_out_ = new QVBoxLayout;
  left_out_->setSpacing(2);
  column()->addLayout(left_out_);
  column()->addWidget(make_line(body()));

  column()->addWidget(make_label(tr("Order of roles"), "heading", body()));
  order_ = new QVBoxLayout;
  order_->setSpacing(0);
  column()->addLayout(order_);
  mirror_ = new QCheckBox(tr("Mirror the whole job, once"), body());
  mirror_->setObjectName(QStringLiteral("mirrorBox"));
  mirror_->setToolTip(tr("For transfers and blanks read from the back. Leave the machine's own mirror switch off."));
  column()->addWidget(mirror_);
  connect(mirror_, &QCheckBox::clicked, this, [this](bool on) {
    Project next = session_.project();
    next.plan.mirrored = on;
    session_.commit(std::move(next), on ? tr("Mirror the job") : tr("Do not mirror the job"));
  });
  outlines_last_ = new QCheckBox(tr("Cut round parts last"), body());
  outlines_last_->setObjectName(QStringLiteral("outlinesLast"));
  outlines_last_->setToolTip(
      tr("Of each cut pass: what comes loose is cut round after all else, so that the sheet holds as long as it can"));
  column()->addWidget(outlines_last_);
  connect(outlines_last_, &QCheckBox::clicked, this, [this](bool on) {
    Project next = session_.project();
    next.plan.outlines_last = on;
    session_.commit(std::move(next), on ? tr("Cut round parts last") : tr("Cut round parts as they come"));
  });
  column()->addWidget(make_line(body()));

  column()->addWidget(new HoldersForm(session_, body()));
  column()->addWidget(make_line(body()));
  column()->addWidget(new ToolRack(session_, log, body()));
  auto* sheets = new QPushButton(tr("Calibrate them…"), body());
  sheets->setObjectName(QStringLiteral("calibrateTools"));
  sheets->setToolTip(tr("Sheets that show how tools, stock and machine really are"));
  set_kind(sheets, "chip");
  connect(sheets, &QPushButton::clicked, this, &PassesPanel::calibrationAsked);
  column()->addWidget(sheets, 0, Qt::AlignLeft);
  column()->addWidget(make_line(body()));
  column()->addWidget(new PaceForm(session_, log, body()));
  column()->addStretch();

  connect(&session_, &Session::shown, this, &PassesPanel::update);
  connect(&session_, &Session::derivedChanged, this, &PassesPanel::update);
  update();
}

const Pass* PassesPanel::pass() const {
  const auto& passes = session_.derived().plan.passes;
  return pass_ >= 1 && pass_ <= static_cast<int>(passes.size()) ? &passes[static_cast<std::size_t>(pass_) - 1]
                                                                : nullptr;
}

void PassesPanel::setPass(int index) {
  pass_ = index;
  update();
}

void PassesPanel::editSetting(const QString& label, const std::string& key,
                              const std::function<void(Setting&)>& change) {
  const Pass* now = pass();
  if (!now) return;
  const Sheet* sheet = find_sheet(session_.project(), now->sheet);
  const Stock* stock = sheet ? find_stock(session_.project(), sheet->stock) : nullptr;
  if (!stock) return;
  Setting setting = setting_for(*stock, now->role);
  change(setting);
  session_.commit(set_setting(session_.project(), now->sheet, now->role, setting), label, key);
}

void PassesPanel::update() {
  updatePass();
  updateLeftOut();
  updateOrder();
}

void PassesPanel::updateLeftOut() {
  const Project& project = session_.project();
  const auto& passes = session_.derived().plan.not_now;
  std::vector<std::string> keys = project.plan.not_now;
  for (const auto& pass : passes) keys.push_back(pass.key);
  if (keys == left_out_shown_) return;
  left_out_shown_ = keys;
  clear(left_out_);
  if (passes.empty()) return;
  left_out_->addWidget(make_label(tr("Not this time"), "heading", body()));
  for (std::size_t i = 0; i < passes.size(); ++i) {
    const Pass& pass = passes[i];
    const bool itself =
        std::find(project.plan.not_now.begin(), project.plan.not_now.end(), pass.key) != project.plan.not_now.end();
    const Sheet* sheet = find_sheet(project, pass.sheet);
    const Stock* stock = sheet ? find_stock(project, sheet->stock) : nullptr;
    auto* row = new QHBoxLayout;
    row->addWidget(
        make_label(tr("%1 %2, %3")
                       .arg(role_name(pass), qs(stock ? stock->name : std::string()), tool_name(project, pass.tool)),
                   "quiet", body()),
        1);
    if (itself) {
      auto* back = new QPushButton(tr("Run it"), body());
      back->setObjectName(QStringLiteral("passBack%1").arg(i));
      set_kind(back, "chip");
      connect(back, &QPushButton::clicked, this, [this, key = pass.key] {
        session_.commit(set_pass_not_now(session_.project(), key, false), tr("Run it this time"));
      });
      row->addWidget(back);
    }
    left_out_->addLayout(row);
  }
}

void PassesPanel::updatePass() {
  const Project& project = session_.project();
  const auto& plan = session_.derived().plan;
  setSubject(plan.passes.empty() ? QString() : span_text(plan.seconds, plan.spread_seconds()));
  const Pass* now = pass();
  pass_fields_->setVisible(now != nullptr);
  mirror_->setChecked(project.plan.mirrored);
  outlines_last_->setChecked(project.plan.outlines_last);
  now_->setChecked(true);  // what is left out is no pass of the plan
  if (!now) {
    pass_text_->setText(plan.passes.empty() ? tr("No passes yet: give lines a role first.")
                                            : tr("Click a pass in the lanes below to see its force, speed and repeats. "
                                                 "Drag it to another place to change the order."));
    return;
  }
  why_->setText(reasonsText(*now));
  why_->setVisible(!why_->text().isEmpty());
  pin_->setChecked(now->pinned);
  let_go_->setVisible(put_by_hand(project, session_.derived().drawing, *now));
  QString stock_name;
  for (const auto& sheet : project.sheets) {
    if (sheet.id != now->sheet) continue;
    const Stock* stock = find_stock(project, sheet.stock);
    if (!stock) continue;
    stock_name = qs(stock->name);
    const Setting s = setting_for(*stock, now->role);
    force_->setValue(s.force_gf);
    speed_->setValue(s.speed_mm_s, session_.project().unit);
    repeats_->setValue(s.repeats);
    depth_->setValue(s.depth);
    auto* form = static_cast<QFormLayout*>(pass_fields_->layout());
    advice_->setPass(now);
    tabs_->setValue(s.tabs), tab_->setValue(s.tab_mm, session_.project().unit);
    slow_radius_->setValue(s.slowed.radius_mm, session_.project().unit);
    slow_->setValue(s.slowed.speed_mm_s, session_.project().unit);
    const auto show = [&](QWidget* field, bool on) {
      field->setVisible(on), form->labelForField(field)->setVisible(on);
    };
    show(tabs_, now->role == Role::cut), show(tab_, now->role == Role::cut && s.tabs > 0);
    show(slow_, s.slowed.radius_mm > 0);
  }
  pass_text_->setText(
      tr("<b>Pass %1: %2 %3</b><br>%4 in holder %5<br>%6 lines, %7 travel, %8, %9")
          .arg(now->index)
          .arg(role_name(now->role), stock_name, tool_name(project, now->tool))
          .arg(now->holder)
          .arg(run_length_text(now->length_mm, project.unit), run_length_text(now->travel_mm, project.unit))
          .arg(counted(static_cast<std::size_t>(now->lifts), tr("lift"), tr("lifts")))
          .arg(time_text(now->seconds)));
}

/// Why a pass comes after others and before others, a line each.
QString PassesPanel::reasonsText(const Pass& now) const {
  const auto& plan = session_.derived().plan;
  const auto at = static_cast<std::size_t>(now.index) - 1;
  const auto because = [&](const Reason& reason) {
    const Pass& first = plan.passes[reason.first];
    const Pass& second = plan.passes[reason.second];
    switch (reason.why) {
      case Why::role:
        return tr("%1 before %2").arg(role_name(first.role), role_name(second.role));
      case Why::ink:
        return tr("light inks before dark ones");
      case Why::by_hand:
        return tr("put so by hand");
      case Why::mat:
        return tr("one mat after the other");
    }
    return QString();
  };
  QStringList lines;
  for (const auto& reason : plan.reasons) {
    if (reason.second == at) lines << tr("after pass %1: %2").arg(reason.first + 1).arg(because(reason));
    if (reason.first == at) lines << tr("before pass %1: %2").arg(reason.second + 1).arg(because(reason));
  }
  constexpr qsizetype kMost = 6;
  if (lines.size() > kMost) {
    const auto more = lines.size() - kMost + 1;
    lines = lines.mid(0, kMost - 1);
    lines << tr("and %1 more").arg(more);
  }
  return lines.join(QChar('\n'));
}

void PassesPanel::updateOrder() {
  const Project& project = session_.project();
  const QString by_hand = project.plan.by_hand.empty() ? QString() : hand_text(session_.derived().plan);
  std::string key = by_hand.toStdString();
  for (const Role role : project.plan.roles_not_now) key += "-" + std::string(word(role));
  for (const Role role : project.plan.role_order) key += word(role);
  if (key == order_shown_) return;
  order_shown_ = key;
  clear(order_);
  if (!by_hand.isEmpty()) {
    auto* row = new QHBoxLayout;
    row->addWidget(make_label(by_hand, "quiet", body()), 1);
    auto* back = new QPushButton(tr("Plan again"), body());
    back->setObjectName(QStringLiteral("planAgain"));
    back->setToolTip(tr("Forgets the order by hand, but for pinned passes"));
    set_kind(back, "chip");
    connect(back, &QPushButton::clicked, this, [this] {
      const Derived& derived = session_.derived();
      session_.commit(plan_again(session_.project(), derived.drawing, derived.plan), tr("Plan the passes again"));
    });
    row->addWidget(back);
    order_->addLayout(row);
  }
  for (std::size_t i = 0; i < project.plan.role_order.size(); ++i) {
    const Role role = project.plan.role_order[i];
    auto* row = new QHBoxLayout;
    row->setSpacing(4);
    auto* icon = new QLabel(body());
    icon->setPixmap(role_icon(role, role_color(role, theme().dark)).pixmap(16, 16));
    row->addWidget(icon);
    auto* run = new QCheckBox(QStringLiteral("%1  %2").arg(i + 1).arg(role_name(role)), body());
    run->setObjectName(QStringLiteral("roleNow-") + qs(word(role)));
    run->setToolTip(tr("Run lines of this role this time"));
    run->setChecked(std::find(project.plan.roles_not_now.begin(), project.plan.roles_not_now.end(), role) ==
                    project.plan.roles_not_now.end());
    connect(run, &QCheckBox::clicked, this, [this, role](bool on) {
      session_.commit(set_role_not_now(session_.project(), role, !on),
                      on ? tr("Run %1 this time").arg(role_name(role)) : tr("Not this time: %1").arg(role_name(role)));
    });
    row->addWidget(run);
    row->addStretch(1);
    for (const int by : {-1, 1}) {
      auto* move = new QToolButton(body());
      set_kind(move, "flat");
      move->setText(by < 0 ? QStringLiteral("↑") : QStringLiteral("↓"));
      move->setAccessibleName(by < 0 ? tr("Run %1 earlier").arg(role_name(role))
                                     : tr("Run %1 later").arg(role_name(role)));
      move->setToolTip(move->accessibleName());
      move->setEnabled(by < 0 ? i > 0 : i + 1 < project.plan.role_order.size());
      connect(move, &QToolButton::clicked, this, [this, i, by] {
        Project next = session_.project();
        std::swap(next.plan.role_order[i], next.plan.role_order[i + static_cast<std::size_t>(by)]);
        next.plan.by_hand.clear(), next.plan.pins.clear();
        session_.commit(std::move(next), tr("Change the order of roles"));
      });
      row->addWidget(move);
    }
    order_->addLayout(row);
  }
}

}  // namespace dotlane
