#include "app/make/make_panel.hpp"

#include <QButtonGroup>
#include <QHBoxLayout>
#include <QLocale>
#include <cmath>
#include <numbers>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {

MakePanel::MakePanel(Session& session, MakeDesk& desk, QWidget* parent)
    : Panel(tr("Make"), parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("makePanel"));
  nothing_ = make_label(tr("There is no part that is cut out, and so nothing to put together."), "body", body());
  column()->addWidget(nothing_);
  card_ = new QFrame(body());
  set_kind(card_, "card");
  auto* box = new QVBoxLayout(card_);
  box->setContentsMargins(12, 10, 12, 12);
  box->setSpacing(6);
  box->addWidget(make_label(tr("Looked for"), "quiet", card_));
  name_ = make_label({}, "title", card_);
  name_->setObjectName(QStringLiteral("wantedName"));
  box->addWidget(name_);
  facts_ = make_label({}, "body", card_);
  facts_->setObjectName(QStringLiteral("wantedFacts"));
  box->addWidget(facts_);
  hint_ = make_label({}, "quiet", card_);
  hint_->setObjectName(QStringLiteral("stepHint"));
  box->addWidget(hint_);
  put_ = new QPushButton(card_);
  put_->setObjectName(QStringLiteral("putInPlace"));
  set_kind(put_, "primary");
  box->addWidget(put_);
  auto* row = new QHBoxLayout;
  back_ = new QPushButton(tr("The one before"), card_);
  back_->setObjectName(QStringLiteral("partBefore"));
  forth_ = new QPushButton(tr("The next"), card_);
  forth_->setObjectName(QStringLiteral("partNext"));
  for (auto* button : {back_, forth_}) set_kind(button, "pill"), row->addWidget(button, 1);
  box->addLayout(row);
  column()->addWidget(card_);
  connect(put_, &QPushButton::clicked, &desk_, &MakeDesk::toggleInPlace);
  connect(back_, &QPushButton::clicked, &desk_, [this] { desk_.move(-1); });
  connect(forth_, &QPushButton::clicked, &desk_, [this] { desk_.move(1); });

  column()->addWidget(make_label(tr("The figure shows"), "heading", body()));
  auto* ways = new QButtonGroup(this);
  row = new QHBoxLayout;
  row->setSpacing(6);
  const std::array<std::pair<QString, const char*>, 3> names{
      {{tr("growing"), "showTogether"}, {tr("layers"), "showExploded"}, {tr("behind"), "showFaceDown"}}};
  for (std::size_t i = 0; i < names.size(); ++i) {
    auto* button = new QPushButton(names[i].first, body());
    button->setObjectName(QString::fromLatin1(names[i].second));
    button->setCheckable(true);
    set_kind(button, "chip");
    ways->addButton(button);
    row->addWidget(button, 1);
    ways_[i] = button;
    connect(button, &QPushButton::clicked, this, [this, i] { desk_.setShow(static_cast<MakeDesk::Show>(i)); });
  }
  ways_[2]->setToolTip(tr("Tiles from behind, with the lines to tape along; where the step has seams"));
  column()->addLayout(row);
  auto* form = addForm(tr("In which order"));
  order_ = new QComboBox(body());
  order_->setObjectName(QStringLiteral("makeOrder"));
  order_->setAccessibleName(tr("From the back layer up, or the top layer first"));
  order_->addItems({tr("back layer first"), tr("top layer first")});
  order_->setToolTip(tr("Card is laid layer on layer from the back. Transfers are laid top layer first."));
  form->addRow(make_label(tr("it grows"), "quiet", body()), order_);
  connect(order_, &QComboBox::activated, this, [this](int at) { desk_.setTopFirst(at == 1); });
  numbers_ = new QComboBox(body());
  numbers_->setObjectName(QStringLiteral("makeNumbers"));
  numbers_->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);  // names of tools are long
  numbers_->setMinimumContentsLength(8);
  numbers_->setAccessibleName(tr("What draws the parts' numbers on their sheets"));
  numbers_->setToolTip(tr(
      "Lightly beside each part, or on its back where the job is mirrored, in a pass of their own; never on a face."));
  form->addRow(make_label(tr("numbers on sheets"), "quiet", body()), numbers_);
  connect(numbers_, &QComboBox::activated, this, [this](int at) {
    Project next = session_.project();
    next.laying.number_tool = numbers_->itemData(at).toString().toStdString();
    const bool on = !next.laying.number_tool.empty();
    session_.commit(std::move(next), on ? tr("Draw the parts' numbers") : tr("Draw no numbers"));
  });
  column()->addWidget(make_label(tr("On paper"), "heading", body()));
  paper_ = new QVBoxLayout;
  paper_->setSpacing(6);
  column()->addLayout(paper_);
  column()->addWidget(
      make_label(tr("Blades are sharp: put their caps on before you glue. Card edges cut, too."), "quiet", body()));
  column()->addStretch();
  connect(&desk_, &MakeDesk::changed, this, &MakePanel::update);
  connect(&session_, &Session::shown, this, &MakePanel::update);
  update();
}

void MakePanel::useActions(Actions& actions) {
  for (const auto& [id, text] :
       {std::pair{"save-guide", tr("Save the steps as PDF…")}, {"save-poster", tr("Save a plan at true scale…")}}) {
    auto* button = new QPushButton(text, body());
    QAction* action = actions.find(QString::fromLatin1(id));
    button->setObjectName(QString::fromLatin1(id));
    button->setToolTip(action->text() + QStringLiteral("  (") + action->shortcut().toString(QKeySequence::NativeText) +
                       QLatin1Char(')'));
    set_kind(button, "pill");
    connect(button, &QPushButton::clicked, action, &QAction::trigger);
    paper_->addWidget(button);
  }
}

void MakePanel::update() {
  const bool any = desk_.wanted().has_value();
  card_->setVisible(any);
  nothing_->setVisible(!any && desk_.made() && desk_.steps().empty());
  const Project& now = session_.project();
  order_->setCurrentIndex(now.laying.top_first ? 1 : 0);
  // Listed anew only where the rack changed: the list may be open.
  std::vector<std::pair<QString, QString>> wanted{{tr("none"), QString()}}, listed;
  for (const auto& tool : now.tools) {
    if (serves(tool, Role::draw)) wanted.emplace_back(qs(tool.name), qs(tool.id));
  }
  for (int i = 0; i < numbers_->count(); ++i)
    listed.emplace_back(numbers_->itemText(i), numbers_->itemData(i).toString());
  if (wanted != listed) {
    numbers_->clear();
    for (const auto& [name, id] : wanted) numbers_->addItem(name, id);
  }
  numbers_->setCurrentIndex(std::max(0, numbers_->findData(qs(now.laying.number_tool))));
  for (std::size_t i = 0; i < ways_.size(); ++i) ways_[i]->setChecked(static_cast<std::size_t>(desk_.show()) == i);
  for (auto* button : ways_) button->setEnabled(any);
  const std::size_t step = desk_.step();
  ways_[2]->setEnabled(any && desk_.steps()[step].in_tiles);
  setSubject(step == npos ? QString() : tr("step %1 of %2").arg(step + 1).arg(desk_.steps().size()));
  if (!any) return;
  const Layout& layout = desk_.made()->derived->layout;
  const LaidPart& laid = layout.laid[*desk_.wanted()];
  const Part& part = layout.parts[laid.part];
  const Project& project = desk_.made()->derived->project;
  name_->setText(QStringLiteral("%1  %2").arg(part.number).arg(desk_.nameOf(*desk_.wanted())));
  QStringList facts;
  const Stock* stock = find_stock(project, part.stock);
  facts << qs(stock ? stock->name : part.stock);
  facts << size_text(part.bounds(), project.unit) + QChar(' ') + unit_word(project.unit);
  const auto page = desk_.sheetPage();
  if (page) {
    facts << tr("On sheet %1").arg(page->index + 1);
    const double turn = -std::atan2(laid.map.b, laid.map.a) * 180 / std::numbers::pi;  // counter-clockwise as seen
    const int decimals = std::abs(turn - std::round(turn)) < 0.05 ? 0 : 1;
    if (std::abs(turn) > 0.05)
      facts.back() += (turn > 0 ? tr(", turned %1° to the left there") : tr(", turned %1° to the right there"))
                          .arg(QLocale().toString(std::abs(turn), 'f', decimals));
  } else {
    facts << tr("On no sheet yet: find a place for it at Sheets.");
  }
  facts_->setText(facts.join(QLatin1Char('\n')));
  QStringList hints = desk_.made()->guide.hints({AssemblyGuide::Page::What::step, step});
  if (desk_.steps()[step].in_tiles) hints << tr("It is in tiles: join them face down first.");
  hint_->setText(hints.join(QLatin1Char('\n')));
  hint_->setVisible(!hints.isEmpty());
  put_->setText(desk_.isInPlace(*desk_.wanted()) ? tr("Not in place after all") : tr("It is in place"));
}

}  // namespace dotlane
