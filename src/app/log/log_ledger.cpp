#include "app/log/log_ledger.hpp"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QVBoxLayout>

#include "app/log/came_out.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {

LogLedger::LogLedger(LogDesk& desk, QWidget* parent) : QWidget(parent), desk_(desk) {
  setObjectName(QStringLiteral("logLedger"));
  set_kind(this, "left");
  setAttribute(Qt::WA_StyledBackground);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(16, 16, 14, 14);
  column->setSpacing(8);
  auto* head = new QHBoxLayout;
  head->addWidget(make_label(tr("Logbook"), "heading", this), 1);
  count_ = make_label({}, "quiet", this);
  count_->setObjectName(QStringLiteral("runCount"));
  count_->setWordWrap(false);
  head->addWidget(count_);
  column->addLayout(head);
  auto* ways = new QButtonGroup(this);
  auto* row = new QHBoxLayout;
  row->setSpacing(6);
  const auto way = [&](const QString& text, const char* name) {
    auto* button = new QPushButton(text, this);
    button->setObjectName(QString::fromLatin1(name));
    button->setCheckable(true);
    set_kind(button, "chip");
    ways->addButton(button);
    row->addWidget(button, 1);
    return button;
  };
  season_ = way(tr("Season"), "logSeason");
  worked_ = way(tr("What worked"), "logWorked");
  season_->setChecked(true);
  column->addLayout(row);
  connect(ways, &QButtonGroup::buttonClicked, this, [this] { emit wayPicked(worked_->isChecked()); });
  const auto box = [&](const QString& label, const char* name) {
    column->addWidget(make_label(label, "quiet", this));
    auto* made = new QComboBox(this);
    made->setObjectName(QString::fromLatin1(name));
    made->setAccessibleName(tr("Runs by %1").arg(label));
    set_kind(made, "boxed");
    keep_narrow(made);
    column->addWidget(made);
    connect(made, &QComboBox::currentIndexChanged, this, [this] { filter(); });
    return made;
  };
  stock_ = box(tr("stock"), "logStock");
  tool_ = box(tr("tool"), "logTool");
  project_ = box(tr("project"), "logProject");
  out_ = box(tr("how it came out"), "logOut");
  filling_ = true;
  out_->addItem(tr("any way"), QString());
  for (const CameOut out : kCameOut) {
    if (out != CameOut::unsaid) out_->addItem(came_out_text(out), qs(word(out)));
  }
  filling_ = false;
  real_ = new QCheckBox(tr("without rehearsals"), this);
  real_->setObjectName(QStringLiteral("logReal"));
  column->addWidget(real_);
  connect(real_, &QCheckBox::toggled, this, [this] { filter(); });
  column->addStretch();
  connect(&desk_, &LogDesk::changed, this, &LogLedger::fill);
  fill();
}

void LogLedger::fill() {
  filling_ = true;
  const auto refill = [](QComboBox* box, const QString& any, const auto& entries) {
    const QString now = box->currentData().toString();
    box->clear();
    box->addItem(any, QString());
    for (const auto& [id, name] : entries) box->addItem(name.empty() ? qs(id) : qs(name), qs(id));
    box->setCurrentIndex(std::max(0, box->findData(now)));
  };
  refill(stock_, tr("any stock"), desk_.known().stocks);
  refill(tool_, tr("any tool"), desk_.known().tools);
  std::vector<std::pair<std::string, std::string>> projects;
  for (const auto& name : desk_.known().projects) projects.emplace_back(name, name);
  refill(project_, tr("any project"), projects);
  count_->setText(counted(desk_.glances().size(), tr("run"), tr("runs")));
  filling_ = false;
}

void LogLedger::filter() {
  if (filling_) return;
  RunFilter now;
  now.stock = stock_->currentData().toString().toStdString();
  now.tool = tool_->currentData().toString().toStdString();
  now.project = project_->currentData().toString().toStdString();
  if (const QString out = out_->currentData().toString(); !out.isEmpty())
    now.came_out = came_out_from(out.toStdString());
  now.rehearsed = !real_->isChecked();
  desk_.setFilter(now);
}

}  // namespace dotlane
