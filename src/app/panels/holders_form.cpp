#include "app/panels/holders_form.hpp"

#include <QLabel>
#include <QMenu>
#include <QPainter>
#include <QVBoxLayout>

#include "app/panels/panel.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "render/role_style.hpp"

namespace dotlane {

HoldersForm::HoldersForm(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->addWidget(make_label(tr("Holders"), "heading", this));
  form_ = new QFormLayout;
  form_->setVerticalSpacing(4);
  form_->setHorizontalSpacing(10);
  column->addLayout(form_);
  connect(&session_, &Session::shown, this, &HoldersForm::update);
  update();
}

void HoldersForm::setLoaded(std::size_t holder, const std::string& tool) {
  Project next = session_.project();
  auto& loaded = next.plan.loaded;
  if (loaded.size() <= holder) loaded.resize(holder + 1);
  loaded[holder] = {tool, 0};
  while (!loaded.empty() && loaded.back() == Loaded{}) loaded.pop_back();
  session_.commit(std::move(next), tr("Say what is in holder %1").arg(holder + 1));
}

void HoldersForm::setTakes(std::size_t holder, ToolKind kind, bool on) {
  Project next = session_.project();
  auto& takes = next.machine.takes;
  if (takes.size() <= holder) takes.resize(holder + 1);
  auto& kinds = takes[holder];
  if (kinds.empty()) kinds.assign(kToolKinds.begin(), kToolKinds.end());  // all, until one is taken away
  std::erase(kinds, kind);
  if (on) kinds.push_back(kind);
  if (kinds.size() == kToolKinds.size()) kinds.clear();
  while (!takes.empty() && takes.back().empty()) takes.pop_back();
  session_.commit(std::move(next), tr("Say what holder %1 takes").arg(holder + 1));
}

void HoldersForm::rebuild() {
  while (form_->rowCount() > 0) form_->removeRow(0);
  now_.clear(), takes_.clear();
  const Project& project = session_.project();
  for (std::size_t h = 0; h < static_cast<std::size_t>(project.machine.holders); ++h) {
    auto* now = new QComboBox(this);
    now->setObjectName(QStringLiteral("holderNow%1").arg(h + 1));
    now->setAccessibleName(tr("In holder %1 now").arg(h + 1));
    now->setToolTip(tr("What is in it already need not be put in"));
    now->addItem(tr("nothing yet"), QString());
    for (const auto& tool : project.tools) now->addItem(qs(tool.name), qs(tool.id));
    connect(now, &QComboBox::activated, this,
            [this, h, now](int row) { setLoaded(h, now->itemData(row).toString().toStdString()); });
    auto* takes = new QPushButton(this);
    takes->setObjectName(QStringLiteral("holderTakes%1").arg(h + 1));
    takes->setAccessibleName(tr("Kinds of tool that holder %1 takes").arg(h + 1));
    set_kind(takes, "chip");
    auto* menu = new QMenu(takes);
    for (const ToolKind kind : kToolKinds) {
      QAction* action = menu->addAction(worded(word(kind)));
      action->setCheckable(true);
      action->setData(static_cast<int>(kind));
      connect(action, &QAction::triggered, this, [this, h, kind](bool on) { setTakes(h, kind, on); });
    }
    takes->setMenu(menu);
    auto* mark = new QLabel(this);
    QPixmap picture(20, 20);
    picture.fill(Qt::transparent);
    QPainter painter(&picture);
    paint_holder(painter, QRectF(0, 0, 20, 20), static_cast<int>(h) + 1, theme());
    painter.end();
    mark->setPixmap(picture);
    form_->addRow(mark, now);
    form_->addRow(make_label(tr("takes"), "quiet", this), takes);
    now_.push_back(now), takes_.push_back(takes);
  }
}

void HoldersForm::update() {
  const Project& project = session_.project();
  std::string key = std::to_string(project.machine.holders) + (theme().dark ? "dark" : "light");
  for (const auto& tool : project.tools) key += tool.id + tool.name + "/";
  if (std::exchange(shown_, key) != key) rebuild();
  for (std::size_t h = 0; h < now_.size(); ++h) {
    const std::string tool = h < project.plan.loaded.size() ? project.plan.loaded[h].tool : "";
    now_[h]->setCurrentIndex(std::max(0, now_[h]->findData(qs(tool))));
    const std::vector<ToolKind> kinds =
        h < project.machine.takes.size() ? project.machine.takes[h] : std::vector<ToolKind>{};
    for (QAction* action : takes_[h]->menu()->actions()) {
      const auto kind = static_cast<ToolKind>(action->data().toInt());
      action->setChecked(kinds.empty() || std::find(kinds.begin(), kinds.end(), kind) != kinds.end());
    }
    takes_[h]->setText(kinds.empty()       ? tr("every kind of tool")
                       : kinds.size() == 1 ? worded(word(kinds.front()))
                                           : tr("%1 kinds of tool").arg(kinds.size()));
  }
}

}  // namespace dotlane
