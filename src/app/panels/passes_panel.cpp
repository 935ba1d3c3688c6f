#include "app/panels/passes_panel.hpp"

#include <QColorDialog>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QToolButton>
#include <algorithm>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "render/role_style.hpp"

namespace dotlane {

PassesPanel::PassesPanel(Session& session, QWidget* parent) : Panel(tr("Passes"), parent), session_(session) {
  setObjectName(QStringLiteral("passesPanel"));
  using Kind = NumberField::Kind;
  pass_text_ = make_label({}, "body", body());
  column()->addWidget(pass_text_);
  pass_fields_ = new QWidget(body());
  auto* form = new QFormLayout(pass_fields_);
  form->setContentsMargins(0, 0, 0, 0);
  form->setVerticalSpacing(0);
  auto setting = [&](const QString& label, const QString& name, const QString& unit, double low, double high, auto apply) {
    auto* f = new NumberField(name, Kind::plain, pass_fields_, unit);
    f->setRange(low, high);
    form->addRow(make_label(label, "quiet", pass_fields_), f);
    connect(f, &NumberField::edited, this, [this, label, apply](double v) {
      editSetting(tr("Change the %1").arg(label), label.toStdString(), [&](Setting& s) { apply(s, v); });
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  force_ = setting(tr("force"), tr("Force of this pass"), tr("gf"), 1, 5000, [](Setting& s, double v) { s.force_gf = v; });
  speed_ = setting(tr("speed"), tr("Speed of this pass"), tr("mm/s"), 0.5, 1000, [](Setting& s, double v) { s.speed_mm_s = v; });
  repeats_ = setting(tr("repeats"), tr("Repeats of this pass"), tr("times"), 1, 99, [](Setting& s, double v) { s.repeats = static_cast<int>(v); });
  depth_ = setting(tr("blade depth"), tr("Blade depth mark"), tr("mark"), 0, 20, [](Setting& s, double v) { s.depth = v; });
  column()->addWidget(pass_fields_);
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
  column()->addWidget(make_line(body()));

  auto* rack_head = new QHBoxLayout;
  rack_head->addWidget(make_label(tr("Tool rack"), "heading", body()), 1);
  auto* add = new QPushButton(tr("Add a pen"), body());
  add->setObjectName(QStringLiteral("addPen"));
  set_kind(add, "chip");
  rack_head->addWidget(add);
  column()->addLayout(rack_head);
  editor_ = new QFrame(body());
  set_kind(editor_, "card");
  auto* edit = new QFormLayout(editor_);
  edit->setContentsMargins(12, 8, 12, 8);
  edit->setVerticalSpacing(1);
  name_ = new QLineEdit(editor_);
  name_->setAccessibleName(tr("Name of the tool"));
  edit->addRow(make_label(tr("name"), "quiet", editor_), name_);
  connect(name_, &QLineEdit::textEdited, this, [this](const QString& text) {
    editTool(tr("Rename the tool"), "tool-name", [&](Tool& t) { t.name = text.toStdString(); });
  });
  connect(name_, &QLineEdit::editingFinished, &session_, &Session::seal);
  auto number = [&](const QString& label, const QString& unit, int decimals, double low, double high, double Tool::*member) {
    auto* f = new NumberField(label, Kind::plain, editor_, unit, decimals);
    f->setRange(low, high);
    edit->addRow(make_label(label, "quiet", editor_), f);
    connect(f, &NumberField::edited, this, [this, label, member](double v) {
      editTool(tr("Change the tool: %1").arg(label), "tool-" + label.toStdString(), [&](Tool& t) { t.*member = v; });
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  tip_ = number(tr("tip width"), tr("mm"), 2, 0.01, 20, &Tool::tip_width_mm);
  min_ = number(tr("least force"), tr("gf"), 0, 0, 5000, &Tool::min_force_gf);
  max_ = number(tr("most force"), tr("gf"), 0, 0, 5000, &Tool::max_force_gf);
  thickest_ = number(tr("thickest stock"), tr("mm"), 2, 0, 20, &Tool::thickest_mm);
  ink_ = new QPushButton(tr("Choose…"), editor_);
  ink_->setAccessibleName(tr("Ink colour"));
  set_kind(ink_, "chip");
  edit->addRow(make_label(tr("ink"), "quiet", editor_), ink_);
  connect(ink_, &QPushButton::clicked, this, [this] {
    const Tool* tool = find_tool(session_.project(), tool_);
    if (!tool) return;
    const QColor c = QColorDialog::getColor(to_qcolor(tool->ink), this, tr("Ink colour"), QColorDialog::DontUseNativeDialog);
    if (c.isValid()) editTool(tr("Change the ink"), "", [&](Tool& t) { t.ink = to_color(c); });
  });
  auto* roles = new QGridLayout;
  int at = 0;
  for (const Role role : {Role::cut, Role::score, Role::draw, Role::foil, Role::engrave}) {
    auto* box = new QCheckBox(role_name(role), editor_);
    box->setProperty("role", static_cast<int>(role));
    roles->addWidget(box, at / 3, at % 3);
    ++at;
    serves_.push_back(box);
    connect(box, &QCheckBox::clicked, this, [this, role](bool on) {
      editTool(tr("Change what the tool serves"), "", [&](Tool& t) {
        std::erase(t.serves, role);
        if (on) t.serves.push_back(role);
      });
    });
  }
  edit->addRow(make_label(tr("serves"), "quiet", editor_), roles);
  column()->addWidget(editor_);
  rack_ = new QVBoxLayout;
  rack_->setSpacing(0);
  column()->addLayout(rack_);
  column()->addStretch();
  connect(add, &QPushButton::clicked, this, [this] {
    Project next = session_.project();
    Tool pen = pen_of({60, 90, 140});
    pen.name = tr("New pen").toStdString();
    pen.id = fresh_tool_id(next, pen.name);
    tool_ = pen.id;
    next.tools.push_back(std::move(pen));
    session_.commit(std::move(next), tr("Add a pen"));
  });

  connect(&session_, &Session::changed, this, &PassesPanel::update);
  connect(&session_, &Session::derivedChanged, this, &PassesPanel::update);
  update();
}

const Pass* PassesPanel::pass() const {
  const auto& passes = session_.derived().plan.passes;
  return pass_ >= 1 && pass_ <= static_cast<int>(passes.size()) ? &passes[static_cast<std::size_t>(pass_) - 1] : nullptr;
}

void PassesPanel::setPass(int index) {
  pass_ = index;
  update();
}

void PassesPanel::editSetting(const QString& label, const std::string& key, const std::function<void(Setting&)>& change) {
  const Pass* now = pass();
  if (!now) return;
  Project next = session_.project();
  for (const auto& sheet : next.sheets) {
    if (sheet.id != now->sheet) continue;
    for (auto& stock : next.stocks) {
      if (stock.id != sheet.stock) continue;
      Setting setting = setting_for(stock, now->role);
      change(setting);
      stock.settings[now->role] = setting;
    }
  }
  session_.commit(std::move(next), label, key);
}

void PassesPanel::editTool(const QString& label, const std::string& key, const std::function<void(Tool&)>& change) {
  Project next = session_.project();
  for (auto& tool : next.tools) {
    if (tool.id == tool_) change(tool);
  }
  session_.commit(std::move(next), label, key);
}

void PassesPanel::update() {
  updatePass();
  updateOrder();
  updateRack();
}

void PassesPanel::updatePass() {
  const Project& project = session_.project();
  const auto& plan = session_.derived().plan;
  setSubject(plan.passes.empty() ? QString() : time_text(plan.seconds));
  const Pass* now = pass();
  pass_fields_->setVisible(now != nullptr);
  mirror_->setChecked(project.plan.mirrored);
  if (!now) {
    pass_text_->setText(plan.passes.empty() ? tr("No passes yet: give lines a role first.") : tr("Click a pass in the lanes below to see its force, speed and repeats. Drag it to another place to change the order."));
    return;
  }
  QString stock_name;
  for (const auto& sheet : project.sheets) {
    if (sheet.id != now->sheet) continue;
    const Stock* stock = find_stock(project, sheet.stock);
    if (!stock) continue;
    stock_name = qs(stock->name);
    const Setting s = setting_for(*stock, now->role);
    force_->setValue(s.force_gf);
    speed_->setValue(s.speed_mm_s);
    repeats_->setValue(s.repeats);
    depth_->setValue(s.depth);
  }
  pass_text_->setText(tr("<b>Pass %1: %2 %3</b><br>%4 in holder %5<br>%6 lines, %7 travel, %8 lifts, %9")
                          .arg(now->index)
                          .arg(role_name(now->role), stock_name, tool_name(project, now->tool))
                          .arg(now->holder)
                          .arg(run_length_text(now->length_mm, project.unit), run_length_text(now->travel_mm, project.unit))
                          .arg(now->lifts)
                          .arg(time_text(now->seconds)));
}

void PassesPanel::updateOrder() {
  const Project& project = session_.project();
  std::string key = project.plan.pass_order.empty() ? "" : "by-hand";
  for (const Role role : project.plan.role_order) key += word(role);
  if (key == order_shown_) return;
  order_shown_ = key;
  clear(order_);
  if (!project.plan.pass_order.empty()) {
    auto* row = new QHBoxLayout;
    row->addWidget(make_label(tr("The passes were put in order by hand."), "quiet", body()), 1);
    auto* back = new QPushButton(tr("Undo that"), body());
    set_kind(back, "chip");
    connect(back, &QPushButton::clicked, this, [this] {
      Project next = session_.project();
      next.plan.pass_order.clear();
      session_.commit(std::move(next), tr("Order the passes by role"));
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
    row->addWidget(make_label(QStringLiteral("%1  %2").arg(i + 1).arg(role_name(role)), "body", body()), 1);
    for (const int by : {-1, 1}) {
      auto* move = new QToolButton(body());
      set_kind(move, "flat");
      move->setText(by < 0 ? QStringLiteral("↑") : QStringLiteral("↓"));
      move->setAccessibleName(by < 0 ? tr("Run %1 earlier").arg(role_name(role)) : tr("Run %1 later").arg(role_name(role)));
      move->setToolTip(move->accessibleName());
      move->setEnabled(by < 0 ? i > 0 : i + 1 < project.plan.role_order.size());
      connect(move, &QToolButton::clicked, this, [this, i, by] {
        Project next = session_.project();
        std::swap(next.plan.role_order[i], next.plan.role_order[i + static_cast<std::size_t>(by)]);
        next.plan.pass_order.clear();
        session_.commit(std::move(next), tr("Change the order of roles"));
      });
      row->addWidget(move);
    }
    order_->addLayout(row);
  }
}

void PassesPanel::updateRack() {
  const Project& project = session_.project();
  std::string key = tool_;
  for (const auto& tool : project.tools) key += tool.id + tool.name + hex(tool.ink);
  if (key != rack_shown_) {
    rack_shown_ = key;
    clear(rack_);
    for (const auto& tool : project.tools) {
      const Role role = tool.serves.empty() ? Role::guide : tool.serves.front();
      auto* row = new QPushButton(serves(tool, Role::draw) ? swatch_icon(to_qcolor(tool.ink)) : role_icon(role, role_color(role, theme().dark)), qs(tool.name), body());
      set_kind(row, "row");
      row->setObjectName(QStringLiteral("tool-") + qs(tool.id));
      row->setCheckable(true);
      row->setChecked(tool.id == tool_);
      connect(row, &QPushButton::clicked, this, [this, id = tool.id] {
        tool_ = tool_ == id ? std::string() : id;
        QMetaObject::invokeMethod(this, [this] { updateRack(); }, Qt::QueuedConnection);
      });
      rack_->addWidget(row);
    }
  }
  const Tool* tool = find_tool(project, tool_);
  editor_->setVisible(tool != nullptr);
  if (!tool) return;
  if (name_->text() != qs(tool->name)) name_->setText(qs(tool->name));
  tip_->setValue(tool->tip_width_mm);
  min_->setValue(tool->min_force_gf);
  max_->setValue(tool->max_force_gf);
  thickest_->setValue(tool->thickest_mm);
  ink_->setIcon(swatch_icon(to_qcolor(tool->ink)));
  for (auto* box : serves_) box->setChecked(serves(*tool, static_cast<Role>(box->property("role").toInt())));
}

}  // namespace dotlane
