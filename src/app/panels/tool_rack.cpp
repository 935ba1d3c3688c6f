#include "app/panels/tool_rack.hpp"

#include <QColorDialog>
#include <QFormLayout>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLocale>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/edit.hpp"
#include "core/project/presets.hpp"
#include "render/role_style.hpp"

namespace dotlane {

ToolRack::ToolRack(Session& session, LogDesk& log, QWidget* parent) : QWidget(parent), session_(session), log_(log) {
  setObjectName(QStringLiteral("toolRack"));
  build();
  connect(&session_, &Session::shown, this, &ToolRack::update);
  update();
}

void ToolRack::build() {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  auto* head = new QHBoxLayout;
  head->addWidget(make_label(tr("Tool rack"), "heading", this), 1);
  auto* add = new QPushButton(tr("Add a pen"), this);
  add->setObjectName(QStringLiteral("addPen"));
  set_kind(add, "chip");
  head->addWidget(add);
  column->addLayout(head);
  connect(add, &QPushButton::clicked, this, [this] {
    Tool pen = pen_of({60, 90, 140});
    pen.name = tr("New pen").toStdString();
    addTool(std::move(pen), tr("Add a pen"));
  });
  buildEditor(column);
  list_ = new QVBoxLayout;
  list_->setSpacing(0);
  column->addLayout(list_);
}

void ToolRack::buildEditor(QVBoxLayout* column) {
  editor_ = new QFrame(this);
  set_kind(editor_, "card");
  auto* form = new QFormLayout(editor_);
  form->setContentsMargins(12, 8, 12, 8);
  form->setVerticalSpacing(1);
  auto text = [&](const QString& label, const char* id, std::string Tool::*member) {
    auto* field = new QLineEdit(editor_);
    field->setObjectName(QString::fromLatin1(id));
    field->setAccessibleName(tr("Tool: %1").arg(label));
    form->addRow(make_label(label, "quiet", editor_), field);
    connect(field, &QLineEdit::textEdited, this, [this, label, member](const QString& now) {
      edit(tr("Change the tool: %1").arg(label), "tool-" + label.toStdString(),
           [&](Tool& t) { t.*member = now.toStdString(); });
    });
    connect(field, &QLineEdit::editingFinished, &session_, &Session::seal);
    return field;
  };
  name_ = text(tr("name"), "toolName", &Tool::name);
  kind_ = new QComboBox(editor_);
  kind_->setObjectName(QStringLiteral("toolKind"));
  kind_->setAccessibleName(tr("Tool: kind"));
  for (const ToolKind kind : kToolKinds) kind_->addItem(worded(word(kind)), static_cast<int>(kind));
  form->addRow(make_label(tr("kind"), "quiet", editor_), kind_);
  connect(kind_, &QComboBox::activated, this, [this] {
    edit(tr("Change the kind of tool"), "",
         [&](Tool& t) { t.kind = static_cast<ToolKind>(kind_->currentData().toInt()); });
  });
  auto number = [&](const QString& label, const char* id, const QString& unit, int decimals, double low, double high,
                    double Tool::*member) {
    auto* field =
        new NumberField(tr("Tool: %1").arg(label),
                        unit.isEmpty() ? NumberField::Kind::length : NumberField::Kind::plain, editor_, unit, decimals);
    field->setObjectName(QString::fromLatin1(id));
    field->setRange(low, high);
    form->addRow(make_label(label, "quiet", editor_), field);
    if (member)
      connect(field, &NumberField::edited, this, [this, label, member](double v) {
        edit(tr("Change the tool: %1").arg(label), "tool-" + label.toStdString(), [&](Tool& t) { t.*member = v; });
      });
    connect(field, &NumberField::committed, &session_, &Session::seal);
    return field;
  };
  tip_ = number(tr("tip width"), "toolTip", {}, 2, 0.01, 20, &Tool::tip_width_mm);
  min_ = number(tr("least force"), "toolMin", tr("gf"), 0, 0, 5000, &Tool::min_force_gf);
  max_ = number(tr("most force"), "toolMax", tr("gf"), 0, 0, 5000, &Tool::max_force_gf);
  thickest_ = number(tr("thickest stock"), "toolThickest", {}, 2, 0, 20, &Tool::thickest_mm);
  count_ = new NumberField(tr("Tool: how many of it there are"), NumberField::Kind::plain, editor_, tr("of it"), 0);
  count_->setObjectName(QStringLiteral("toolCount"));
  count_->setToolTip(tr("Two blades may wait in two holders, each at a mark of its own"));
  count_->setRange(1, 99);
  form->addRow(make_label(tr("there are"), "quiet", editor_), count_);
  connect(count_, &NumberField::edited, this, [this](double v) {
    edit(tr("Change how many of a tool there are"), "tool-count", [&](Tool& t) { t.count = static_cast<int>(v); });
  });
  connect(count_, &NumberField::committed, &session_, &Session::seal);
  dry_ = number(tr("dries in"), "toolDry", tr("s"), 0, 0, 86'400, &Tool::dry_s);
  dry_->setToolTip(tr("How long its ink is wet: no pass goes over it before. 0: at once"));
  transfers_ = new QCheckBox(tr("its ink is ironed on"), editor_);
  transfers_->setObjectName(QStringLiteral("toolTransfers"));
  transfers_->setToolTip(tr("Heat-transfer pens stand upright before they are used"));
  form->addRow(transfers_);
  connect(transfers_, &QCheckBox::clicked, this,
          [this](bool on) { edit(tr("Change the ink"), "", [&](Tool& t) { t.transfers = on; }); });
  trail_ = number(tr("edge trails by"), "toolTrail", {}, 2, 0, 5, &Tool::trail_mm);
  trail_->setToolTip(
      tr("How far the edge touches behind the axis it swivels on: the head leads it round corners. 0: the "
         "machine sees to that itself"));
  overcut_ = number(tr("runs on by"), "toolOvercut", {}, 2, 0, 20, &Tool::overcut_mm);
  overcut_->setToolTip(tr("How far it cuts on past the start of a closed contour, so that the end comes free"));
  tip_x_ = number(tr("tip right of middle"), "toolTipX", {}, 2, -20, 20, nullptr);
  tip_y_ = number(tr("tip below middle"), "toolTipY", {}, 2, -20, 20, nullptr);
  for (auto* field : {tip_x_, tip_y_}) {
    field->setToolTip(tr("Where the tip touches beside the middle of its holder, as it sits when it is not turned"));
    connect(field, &NumberField::edited, this, [this, field](double v) {
      edit(tr("Change where the tip touches"), field == tip_x_ ? "tool-tip-x" : "tool-tip-y",
           [&](Tool& t) { (field == tip_x_ ? t.tip_mm.x : t.tip_mm.y) = v; });
    });
  }
  sits_ = number(tr("sits turned by"), "toolSits", QStringLiteral("°"), 0, -360, 360, &Tool::sits_deg);
  sits_->setToolTip(tr("How far it is turned in its holder, counter-clockwise: the place of the tip turns with it"));
  lasts_ = number(tr("marks for"), "toolLasts", tr("m"), 1, 0, 1e6, &Tool::lasts_m);
  lasts_->setToolTip(tr("How far it marks until it is dry or worn out; 0: nobody knows. A calibration sheet tells"));
  lasts_->setZero(tr("not known"));
  price_ = new NumberField(tr("Tool: price of a new one"), NumberField::Kind::plain, editor_, {}, 2);
  price_->setObjectName(QStringLiteral("toolPrice"));
  price_->setRange(0, 1e6);
  price_->setZero(tr("not said"));
  form->addRow(make_label(tr("a new one costs"), "quiet", editor_), price_);
  connect(price_, &NumberField::edited, this,
          [this](double v) { edit(tr("Change what a tool costs"), "tool-price", [&](Tool& t) { t.price = v; }); });
  connect(price_, &NumberField::committed, &session_, &Session::seal);
  auto* wear = new QHBoxLayout;
  gone_ = make_label({}, "quiet", editor_);
  gone_->setObjectName(QStringLiteral("toolGone"));
  auto* fresh = new QPushButton(tr("It is a new one"), editor_);
  fresh->setObjectName(QStringLiteral("toolIsNew"));
  fresh->setToolTip(tr("What it has marked is counted from now on"));
  set_kind(fresh, "chip");
  wear->addWidget(gone_, 1);
  wear->addWidget(fresh);
  form->addRow(wear);
  connect(fresh, &QPushButton::clicked, this, [this] { log_.putInNew(tool_); });
  connect(&log_, &LogDesk::changed, this, [this] {
    worn_.clear();
    showWear();
  });
  covers_ = number(tr("fills close at"), "toolCovers", {}, 2, 0, 20, &Tool::covers_mm);
  covers_->setToolTip(
      tr("The widest spacing of a fill at which no stock shows between its strokes; 0: the tip width. A swatch tells"));
  form_ = form;
  ink_ = new QPushButton(tr("Choose…"), editor_);
  ink_->setAccessibleName(tr("Ink colour"));
  set_kind(ink_, "chip");
  form->addRow(make_label(tr("ink"), "quiet", editor_), ink_);
  connect(ink_, &QPushButton::clicked, this, [this] {
    const Tool* tool = find_tool(session_.project(), tool_);
    if (!tool) return;
    const QColor c =
        QColorDialog::getColor(to_qcolor(tool->ink), this, tr("Ink colour"), QColorDialog::DontUseNativeDialog);
    if (c.isValid()) edit(tr("Change the ink"), "", [&](Tool& t) { t.ink = to_color(c); });
  });
  auto* roles = new QGridLayout;
  int at = 0;
  for (const Role role : {Role::cut, Role::score, Role::draw, Role::foil, Role::engrave, Role::emboss}) {
    auto* box = new QCheckBox(role_name(role), editor_);
    box->setObjectName(QStringLiteral("toolServes-") + qs(word(role)));
    box->setProperty("role", static_cast<int>(role));
    roles->addWidget(box, at / 2, at % 2);
    ++at;
    serves_.push_back(box);
    connect(box, &QCheckBox::clicked, this, [this, role](bool on) {
      edit(tr("Change what the tool serves"), "", [&](Tool& t) {
        std::erase(t.serves, role);
        if (on) t.serves.push_back(role);
      });
    });
  }
  form->addRow(make_label(tr("serves"), "quiet", editor_), roles);
  auto* buttons = new QHBoxLayout;
  auto* copy = new QPushButton(tr("Copy it"), editor_);
  copy->setObjectName(QStringLiteral("copyTool"));
  remove_ = new QPushButton(tr("Take it off the rack"), editor_);
  remove_->setObjectName(QStringLiteral("removeTool"));
  for (auto* b : {copy, remove_}) set_kind(b, "chip"), buttons->addWidget(b);
  buttons->addStretch();
  form->addRow(buttons);
  connect(copy, &QPushButton::clicked, this, [this] {
    const Tool* tool = find_tool(session_.project(), tool_);
    if (!tool) return;
    Tool twin = *tool;
    twin.name = tr("%1, copy").arg(qs(twin.name)).toStdString();
    addTool(std::move(twin), tr("Copy the tool"));
  });
  connect(remove_, &QPushButton::clicked, this,
          [this] { session_.commit(remove_tool(session_.project(), tool_), tr("Take a tool off the rack")); });
  column->addWidget(editor_);
}

void ToolRack::addTool(Tool tool, const QString& label) {
  Project next = session_.project();
  tool.id = fresh_tool_id(next, tool.name);
  tool_ = tool.id;
  next.tools.push_back(std::move(tool));
  session_.commit(std::move(next), label);
}

void ToolRack::edit(const QString& label, const std::string& key, const std::function<void(Tool&)>& change) {
  Project next = session_.project();
  for (auto& tool : next.tools) {
    if (tool.id == tool_) change(tool);
  }
  session_.commit(std::move(next), label, key);
}

void ToolRack::rebuildList() {
  while (QLayoutItem* item = list_->takeAt(0)) {
    item->widget()->hide();
    item->widget()->deleteLater();
    delete item;
  }
  for (const auto& tool : session_.project().tools) {
    const Role role = tool.serves.empty() ? Role::guide : tool.serves.front();
    const QIcon icon =
        serves(tool, Role::draw) ? swatch_icon(to_qcolor(tool.ink)) : role_icon(role, role_color(role, theme().dark));
    auto* row = new QPushButton(icon, qs(tool.name), this);
    set_kind(row, "row");
    row->setObjectName(QStringLiteral("tool-") + qs(tool.id));
    row->setCheckable(true);
    row->setChecked(tool.id == tool_);
    connect(row, &QPushButton::clicked, this, [this, id = tool.id] {
      tool_ = tool_ == id ? std::string() : id;
      // Later: the row that was clicked is replaced.
      QMetaObject::invokeMethod(
          this, [this] { update(); }, Qt::QueuedConnection);
    });
    list_->addWidget(row);
  }
}

void ToolRack::update() {
  const Project& project = session_.project();
  std::string key = tool_ + (theme().dark ? "dark" : "light");
  for (const auto& tool : project.tools) key += tool.id + tool.name + hex(tool.ink);
  if (key != shown_) {
    shown_ = key;
    rebuildList();
  }
  const Tool* tool = find_tool(project, tool_);
  editor_->setVisible(tool != nullptr);
  if (!tool) return;
  if (name_->text() != qs(tool->name)) name_->setText(qs(tool->name));
  kind_->setCurrentIndex(kind_->findData(static_cast<int>(tool->kind)));
  tip_->setValue(tool->tip_width_mm, session_.project().unit);
  min_->setValue(tool->min_force_gf);
  max_->setValue(tool->max_force_gf);
  thickest_->setValue(tool->thickest_mm, session_.project().unit);
  count_->setValue(tool->count);
  dry_->setValue(tool->dry_s);
  const bool blade = tool->kind == ToolKind::blade;
  const bool inks = tool->kind == ToolKind::pen || tool->kind == ToolKind::chisel_marker;
  const auto show = [this](QWidget* field, bool on) {
    field->setVisible(on);
    if (QWidget* label = form_->labelForField(field)) label->setVisible(on);
  };
  for (auto* field : {trail_, overcut_}) show(field, blade);
  for (auto* field : {tip_x_, tip_y_, sits_}) show(field, !blade);
  show(dry_, inks), show(transfers_, inks), show(covers_, !blade);
  lasts_->setValue(tool->lasts_m);
  price_->setValue(tool->price);
  showWear();
  covers_->setValue(tool->covers_mm, session_.project().unit);
  trail_->setValue(tool->trail_mm, session_.project().unit);
  overcut_->setValue(tool->overcut_mm, session_.project().unit);
  tip_x_->setValue(tool->tip_mm.x, session_.project().unit);
  tip_y_->setValue(tool->tip_mm.y, session_.project().unit);
  sits_->setValue(tool->sits_deg);
  transfers_->setChecked(tool->transfers);
  ink_->setIcon(swatch_icon(to_qcolor(tool->ink)));
  for (auto* box : serves_) box->setChecked(serves(*tool, static_cast<Role>(box->property("role").toInt())));
  std::size_t used = 0;
  for (const auto& piece : session_.drawing().pieces) {
    for (const auto& line : piece->piece->lines) used += line.tool == tool_;
  }
  remove_->setEnabled(!wants_tool(project, tool_));
  remove_->setToolTip(used == 0 ? QString() : tr("%1 still want it").arg(counted(used, tr("line"), tr("lines"))));
}

void ToolRack::showWear() {
  if (tool_.empty() || worn_ == tool_) return;
  worn_ = tool_;
  gone_->clear();
  log_.metresOf(tool_, [this, tool = tool_](double metres) {
    if (tool != tool_) return;
    gone_->setText(tr("%1 m so far").arg(QLocale().toString(metres, 'f', metres < 10 ? 2 : 0)));
  });
}

}  // namespace dotlane
