#include "app/practice/calibrate_window.hpp"

#include <QHBoxLayout>
#include <QLocale>
#include <QScrollArea>
#include <QVBoxLayout>

#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "words/sentences.hpp"

namespace dotlane {

CalibrateWindow::CalibrateWindow(Session& session, QWidget* parent) : QDialog(parent), session_(session) {
  setWindowTitle(tr("Calibration sheets"));
  setObjectName(QStringLiteral("calibrateWindow"));
  set_help(this, "practice");
  setAttribute(Qt::WA_DeleteOnClose);
  setModal(true);
  resize(760, 560);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(20, 18, 20, 18);
  row->setSpacing(18);
  auto* list = new QVBoxLayout;
  list->setSpacing(2);
  for (const Calibration kind : kCalibrations) {
    auto* button = new QPushButton(qs(sentence(title_of(kind))), this);
    button->setObjectName(QStringLiteral("kind-") + qs(word(kind)));
    set_kind(button, "row");
    button->setCheckable(true);
    button->setAutoExclusive(true);
    button->setAutoDefault(false);
    button->setMinimumWidth(190);
    connect(button, &QPushButton::clicked, this, [this, kind] { choose(kind); });
    list->addWidget(button);
    kinds_.push_back(button);
  }
  list->addStretch(1);
  row->addLayout(list);
  auto* column = new QVBoxLayout;
  column->setSpacing(8);
  row->addLayout(column, 1);
  title_ = make_label({}, "title", this);
  about_ = make_label({}, "body", this);
  column->addWidget(title_);
  column->addWidget(about_);
  boxes_ = new QFormLayout;
  boxes_->setVerticalSpacing(4);
  tool_ = new QComboBox(this);
  tool_->setObjectName(QStringLiteral("calibrateTool"));
  tool_->setAccessibleName(tr("Tool that is looked at"));
  stock_ = new QComboBox(this);
  stock_->setObjectName(QStringLiteral("calibrateStock"));
  stock_->setAccessibleName(tr("Stock that it is made on"));
  for (auto* box : {tool_, stock_}) set_kind(box, "boxed");
  tool_label_ = make_label(tr("tool"), "quiet", this);
  boxes_->addRow(tool_label_, tool_);
  boxes_->addRow(make_label(tr("stock"), "quiet", this), stock_);
  column->addLayout(boxes_);
  now_ = make_label({}, "quiet", this);
  now_->setObjectName(QStringLiteral("calibrateNow"));
  column->addWidget(now_);
  open_ = new QPushButton(tr("Open the sheet as a project"), this);
  open_->setObjectName(QStringLiteral("openSheet"));
  set_kind(open_, "pill");
  auto* open_row = new QHBoxLayout;
  open_row->addWidget(open_);
  open_row->addStretch(1);
  column->addLayout(open_row);
  column->addWidget(make_line(this));
  column->addWidget(make_label(tr("What you read on it"), "heading", this));
  auto* scroll = new QScrollArea(this);
  scroll->setWidgetResizable(true);
  scroll->setFrameShape(QFrame::NoFrame);
  auto* inside = new QWidget(scroll);
  set_kind(inside, "panel");
  auto* reading = new QHBoxLayout(inside);
  reading->setContentsMargins(0, 0, 0, 0);
  fields_ = new QFormLayout;
  fields_->setVerticalSpacing(2);
  reading->addLayout(fields_, 1);
  picture_ = new ReadingPicture(inside);
  reading->addWidget(picture_, 0, Qt::AlignTop);
  scroll->setWidget(inside);
  column->addWidget(scroll, 1);
  said_ = make_label({}, "quiet", this);
  said_->setObjectName(QStringLiteral("calibrateSaid"));
  column->addWidget(said_);
  auto* buttons = new QHBoxLayout;
  buttons->addStretch(1);
  auto* close = new QPushButton(tr("Close it"), this);
  close->setObjectName(QStringLiteral("closeCalibrate"));
  set_kind(close, "pill");
  take_ = new QPushButton(tr("Take it over"), this);
  take_->setObjectName(QStringLiteral("takeReadings"));
  set_kind(take_, "primary");
  for (auto* button : {close, take_, open_}) button->setAutoDefault(false);  // Enter in a field is the field's
  buttons->addWidget(close);
  buttons->addWidget(take_);
  column->addLayout(buttons);
  connect(close, &QPushButton::clicked, this, &QDialog::reject);
  connect(open_, &QPushButton::clicked, this, &CalibrateWindow::openSheet);
  connect(take_, &QPushButton::clicked, this, &CalibrateWindow::take);
  connect(tool_, &QComboBox::activated, this, [this] { showFields(); });
  connect(stock_, &QComboBox::activated, this, [this] { showFields(); });
  connect(picture_, &ReadingPicture::picked, this, [this](Vec mm) {
    if (shown_.size() != 2) return;
    shown_[0]->setValue(mm.x, session_.project().unit), shown_[1]->setValue(mm.y, session_.project().unit);
    const auto of = chosen();
    if (!of) return;
    const auto fields = reading_fields(session_.project(), *of);
    readings_[fields[0].key] = mm.x, readings_[fields[1].key] = mm.y;
    take_->setEnabled(true);
  });
  // A sheet that is open already says which it is.
  Calibration first = Calibration::tip_contact;
  const std::string prefix = "calibration-";
  if (session_.project().name.starts_with(prefix)) {
    if (const auto open_kind = calibration_from(session_.project().name.substr(prefix.size()))) first = *open_kind;
  }
  choose(first);
}

void CalibrateWindow::choose(Calibration kind) {
  kind_ = kind;
  for (std::size_t i = 0; i < kinds_.size(); ++i) kinds_[i]->setChecked(kCalibrations[i] == kind);
  title_->setText(qs(sentence(title_of(kind))));
  about_->setText(qs(sentence(about(kind))));
  tool_label_->setText(kind == Calibration::tip_contact ? tr("tip of") : tr("tool"));
  fillBoxes();
  showFields();
}

void CalibrateWindow::fillBoxes() {
  const Project& project = session_.project();
  tool_->clear();
  stock_->clear();
  auto tools = tools_for(project, kind_);
  // The first draws the boxes in which the others are looked at.
  if (kind_ == Calibration::tip_contact && !tools.empty()) tools.erase(tools.begin());
  for (const auto& id : tools) tool_->addItem(tool_name(project, id), qs(id));
  for (const auto& stock : project.stocks) {
    if (kind_ != Calibration::force_depth || !stock.never_cut) stock_->addItem(qs(stock.name), qs(stock.id));
  }
  const auto usual = settled(project, {kind_, "", {}, ""});
  if (!usual) return;
  stock_->setCurrentIndex(std::max(0, stock_->findData(qs(usual->stock))));
  // The kind of tip that most often touches beside its middle comes first.
  for (int i = 0; kind_ == Calibration::tip_contact && i < tool_->count(); ++i) {
    const Tool* tool = find_tool(project, tool_->itemData(i).toString().toStdString());
    if (tool && tool->kind == ToolKind::chisel_marker) return tool_->setCurrentIndex(i);
  }
  tool_->setCurrentIndex(std::max(0, tool_->findData(qs(usual->tool))));
}

Result<CalibrationOf> CalibrateWindow::chosen() const {
  CalibrationOf of{kind_, "", {}, stock_->currentData().toString().toStdString()};
  const std::string tool = tool_->currentData().toString().toStdString();
  if (kind_ == Calibration::tip_contact) {
    if (!tool.empty()) of.others = {tool};
  } else {
    of.tool = tool;
  }
  return settled(session_.project(), of);
}

QString CalibrateWindow::nowText(const CalibrationOf& of) const {
  const Project& project = session_.project();
  const QLocale locale;
  const auto mm = [&](double v) { return length_number(v, project.unit, 2) + QChar(' ') + unit_word(project.unit); };
  const Tool* tool = find_tool(project, of.others.empty() ? of.tool : of.others.front());
  const Machine& machine = project.machine;
  switch (of.kind) {
    case Calibration::tip_contact:
      return tool ? tr("As the rack has it: %1 right of the middle, %2 below it.")
                        .arg(mm(tool->tip_mm.x), mm(tool->tip_mm.y))
                  : QString();
    case Calibration::line_width:
      return tool ? tr("As the rack has it: %1.").arg(mm(tool->tip_width_mm)) : QString();
    case Calibration::fill_swatch:
      return tool ? tr("As the rack has it: %1.").arg(mm(covering_mm(*tool))) : QString();
    case Calibration::tip_wear:
      return tool && tool->lasts_m > 0 ? tr("As the rack has it: %1 m.").arg(locale.toString(tool->lasts_m, 'f', 1))
                                       : tr("The rack does not know how far it goes.");
    case Calibration::force_depth: {
      const Stock* stock = find_stock(project, of.stock);
      if (!stock) return {};
      const Setting cut = setting_for(*stock, Role::cut);
      return tr("As the stock has it: %1 gf, mark %2.")
          .arg(locale.toString(cut.force_gf, 'f', 0), locale.toString(cut.depth, 'f', 0));
    }
    case Calibration::scale:
      return tr("As the machine has it: %1 % across, %2 % up.")
          .arg(locale.toString(machine.scale.x * 100, 'f', 2), locale.toString(machine.scale.y * 100, 'f', 2));
    case Calibration::mat_cross:
      return tr("As the machine has it: %1 right of its place, %2 below it.")
          .arg(mm(machine.origin_mm.x), mm(machine.origin_mm.y));
    default:
      return tr("As the machine has it: %1.").arg(mm(machine.landing_mm));
  }
}

void CalibrateWindow::showFields() {
  readings_.clear();
  shown_.clear();
  while (fields_->rowCount() > 0) fields_->removeRow(0);
  take_->setEnabled(false);
  said_->clear();
  const auto of = chosen();
  open_->setEnabled(of.has_value());
  picture_->setVisible(of && (kind_ == Calibration::tip_contact || kind_ == Calibration::mat_cross));
  picture_->setPlace({});
  if (!of) {
    now_->clear();
    return say(qs(sentence(of.error().said)), true);
  }
  now_->setText(nowText(*of));
  for (const auto& field : reading_fields(session_.project(), *of)) {
    Said said = field.said;
    said.figures.erase("tool");  // it stands above
    const QString name = qs(sentence(said, session_.project().unit));
    auto* edit = new NumberField(name, field.length ? NumberField::Kind::length : NumberField::Kind::plain, this, {},
                                 field.length          ? 2
                                 : field.key == "rows" ? 1
                                                       : 0);
    edit->setObjectName(QStringLiteral("read-") + qs(field.key));
    edit->setRange(field.low, field.high);
    edit->setValue(0, session_.project().unit);
    if (field.low > 0 || kind_ == Calibration::force_depth) edit->setZero(tr("not read"));
    auto* label = make_label(name, "quiet", this);
    label->setWordWrap(false);
    fields_->addRow(label, edit);
    shown_.push_back(edit);
    connect(edit, &NumberField::edited, this, [this, key = field.key](double value) {
      readings_[key] = value;
      take_->setEnabled(true);
      if (shown_.size() == 2 && picture_->isVisible()) picture_->setPlace({shown_[0]->value(), shown_[1]->value()});
    });
  }
}

void CalibrateWindow::say(const QString& what, bool problem) {
  set_kind(said_, problem ? "serious" : "quiet");
  said_->setText(what);
}

void CalibrateWindow::openSheet() {
  auto of = chosen();
  if (!of) return;
  if (kind_ == Calibration::tip_contact) {  // all that draw are looked at on one sheet
    of = settled(session_.project(), {kind_, "", {}, of->stock});
    const std::string tool = tool_->currentData().toString().toStdString();
    if (of && std::find(of->others.begin(), of->others.end(), tool) == of->others.end()) of->others.push_back(tool);
  }
  if (!of) return say(qs(sentence(of.error().said)), true);
  auto sheet = calibration_sheet(session_.project(), *of);
  if (!sheet) return say(qs(sentence(sheet.error().said)), true);
  emit sheetAsked(*sheet);
  accept();
}

void CalibrateWindow::take() {
  const auto of = chosen();
  if (!of || readings_.empty()) return;
  auto changed = with_readings(session_.project(), *of, readings_);
  if (!changed) return say(qs(sentence(changed.error().said)), true);
  const Readings read = readings_;
  session_.commit(std::move(*changed), tr("Take over what was read"));
  showFields();
  say(tr("Taken over."), false);
  emit taken(*of, read);
}

}  // namespace dotlane
