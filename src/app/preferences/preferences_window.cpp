#include "app/preferences/preferences_window.hpp"

#include <QColorDialog>
#include <QComboBox>
#include <QFileInfo>
#include <QFormLayout>
#include <QHBoxLayout>
#include <QHeaderView>
#include <QPointer>
#include <QVBoxLayout>

#include "app/dialogs.hpp"
#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

QComboBox* make_box(QWidget* parent, const char* id, const QString& name,
                    const std::vector<std::pair<QString, QVariant>>& entries, const QVariant& now) {
  auto* box = new QComboBox(parent);
  box->setObjectName(QString::fromLatin1(id));
  box->setAccessibleName(name);
  set_kind(box, "boxed");
  for (const auto& [text, data] : entries) box->addItem(text, data);
  box->setCurrentIndex(std::max(0, box->findData(now)));
  return box;
}

}  // namespace

PreferencesWindow::PreferencesWindow(Session& session, Actions& actions, QWidget* parent)
    : QDialog(parent), session_(session), actions_(actions) {
  setObjectName(QStringLiteral("preferencesWindow"));
  set_help(this, "projects");
  setWindowTitle(tr("Preferences"));
  setAttribute(Qt::WA_DeleteOnClose);
  resize(720, 540);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(20, 18, 20, 16);
  column->setSpacing(12);
  auto* row = new QHBoxLayout;
  row->setSpacing(18);
  auto* side = new QVBoxLayout;
  side->setSpacing(2);
  pages_ = new QStackedWidget(this);
  const std::pair<QString, QWidget*> pages[] = {{tr("General"), general()}, {tr("Keys"), keys()}};
  for (const auto& [name, page] : pages) {
    const int index = pages_->addWidget(page);
    auto* button = new QPushButton(name, this);
    button->setObjectName(QStringLiteral("preferences%1").arg(index));
    set_kind(button, "row");
    button->setCheckable(true);
    button->setAutoExclusive(true);
    button->setAutoDefault(false);
    button->setChecked(index == 0);
    button->setMinimumWidth(140);
    connect(button, &QPushButton::clicked, this, [this, index] { pages_->setCurrentIndex(index); });
    side->addWidget(button);
  }
  side->addStretch();
  row->addLayout(side);
  row->addWidget(pages_, 1);
  column->addLayout(row, 1);
  column->addWidget(make_line(this));
  auto* end = new QHBoxLayout;
  auto* write = new QPushButton(tr("Save all settings to a file…"), this);
  write->setObjectName(QStringLiteral("writeSettings"));
  auto* take = new QPushButton(tr("Take settings from a file…"), this);
  take->setObjectName(QStringLiteral("takeSettings"));
  auto* close = new QPushButton(tr("Close"), this);
  close->setObjectName(QStringLiteral("closePreferences"));
  for (auto* button : {write, take}) set_kind(button, "pill");
  set_kind(close, "primary");
  for (auto* button : {write, take, close}) button->setAutoDefault(false);
  said_ = make_label({}, "quiet", this);
  said_->setObjectName(QStringLiteral("preferencesSaid"));
  end->addWidget(write);
  end->addWidget(take);
  end->addStretch();
  end->addWidget(close);
  column->addLayout(end);
  column->addWidget(said_);
  connect(close, &QPushButton::clicked, this, &QDialog::accept);
  const QString filter = tr("Settings (*.ini)");
  connect(write, &QPushButton::clicked, this, [this, filter] {
    const QString path =
        dialogs().saveFile(this, tr("Save all settings to a file…"), QStringLiteral("dot-lane.ini"), filter);
    if (path.isEmpty()) return;
    said_->setText(write_settings(path)
                       ? tr("Saved %1: it can be taken to another machine.").arg(QFileInfo(path).fileName())
                       : tr("%1 cannot be written.").arg(path));
  });
  connect(take, &QPushButton::clicked, this, [this, filter] {
    const QStringList files = dialogs().openFiles(this, tr("Take settings from a file…"), filter);
    if (files.isEmpty()) return;
    if (!take_settings(files.front()))
      return said_->setText(
          tr("%1 holds no settings of Dot Lane; nothing was changed.").arg(QFileInfo(files.front()).fileName()));
    said_->setText(tr("Taken over."));
    actions_.refreshKeys();
    fillKeys();
    emit changed();
  });
}

void PreferencesWindow::change(const std::function<void(Preferences&)>& how) {
  Preferences now = preferences();
  how(now);
  prefer(now);
  emit changed();
}

QWidget* PreferencesWindow::general() {
  auto* page = new QWidget(this);
  auto* form = new QFormLayout(page);
  form->setContentsMargins(0, 0, 0, 0);
  form->setHorizontalSpacing(16);
  form->setVerticalSpacing(8);
  const Preferences now = preferences();
  const auto add = [&](const QString& label, QWidget* field) { form->addRow(make_label(label, "quiet", page), field); };

  auto* language = make_box(page, "preferLanguage", tr("Language"),
                            {{tr("the system's"), QString()},
                             {QStringLiteral("English"), QStringLiteral("en")},
                             {QStringLiteral("Deutsch"), QStringLiteral("de")}},
                            now.language);
  add(tr("language"), language);
  connect(language, &QComboBox::activated, this, [this, language] {
    change([&](Preferences& p) { p.language = language->currentData().toString(); });
    said_->setText(tr("The language changes when Dot Lane is started anew."));
  });
  auto* look = make_box(page, "preferLook", tr("Look"), {{tr("light"), false}, {tr("dark"), true}}, now.dark);
  add(tr("look"), look);
  connect(look, &QComboBox::activated, this,
          [this, look] { change([&](Preferences& p) { p.dark = look->currentData().toBool(); }); });
  auto* mat = new QPushButton(now.mat.isValid() ? now.mat.name() : tr("Choose…"), page);
  mat->setObjectName(QStringLiteral("preferMat"));
  mat->setAccessibleName(tr("Colour of the mat on the bench"));
  set_kind(mat, "pill");
  auto* plain = new QPushButton(tr("As the look has it"), page);
  plain->setObjectName(QStringLiteral("preferPlainMat"));
  set_kind(plain, "pill");
  plain->setVisible(now.mat.isValid());
  for (auto* button : {mat, plain}) button->setAutoDefault(false);
  auto* mats = new QWidget(page);
  auto* mat_row = new QHBoxLayout(mats);
  mat_row->setContentsMargins(0, 0, 0, 0);
  mat_row->addWidget(mat);
  mat_row->addWidget(plain);
  mat_row->addStretch();
  add(tr("mat on the bench"), mats);
  const auto set_mat = [this, mat, plain](const QColor& color) {
    change([&](Preferences& p) { p.mat = color; });
    mat->setText(color.isValid() ? color.name() : tr("Choose…"));
    plain->setVisible(color.isValid());
  };
  connect(mat, &QPushButton::clicked, this, [this, set_mat] {
    const QColor picked = QColorDialog::getColor(theme().mat, this, tr("Colour of the mat on the bench"),
                                                 QColorDialog::DontUseNativeDialog);
    if (picked.isValid()) set_mat(picked);
  });
  connect(plain, &QPushButton::clicked, this, [set_mat] { set_mat({}); });

  auto* nudge = new NumberField(tr("Step of the arrow keys"), NumberField::Kind::length, page);
  nudge->setObjectName(QStringLiteral("preferNudge"));
  nudge->setRange(0.01, 100);
  nudge->setToolTip(tr("With Shift ten times as far, with Alt a tenth"));
  add(tr("arrow keys move by"), nudge);
  nudge->setValue(now.nudge_mm);
  connect(nudge, &NumberField::edited, this, [this](double mm) { change([&](Preferences& p) { p.nudge_mm = mm; }); });
  auto* aside = make_box(
      page, "preferAutosave", tr("When unsaved work is kept aside"),
      {{tr("at once"), 1}, {tr("after 10 s"), 10}, {tr("after a minute"), 60}, {tr("after five minutes"), 300}},
      now.autosave_s);
  add(tr("unsaved work is kept aside"), aside);
  connect(aside, &QComboBox::activated, this,
          [this, aside] { change([&](Preferences& p) { p.autosave_s = aside->currentData().toInt(); }); });

  form->addRow(make_label(tr("New projects"), "heading", page));
  auto* unit = make_box(
      page, "preferUnit", tr("Unit of new projects"),
      {{tr("Millimetres"), static_cast<int>(LengthUnit::mm)}, {tr("Inches"), static_cast<int>(LengthUnit::inch)}},
      static_cast<int>(now.unit));
  add(tr("unit"), unit);
  connect(unit, &QComboBox::activated, this, [this, unit] {
    change([&](Preferences& p) { p.unit = static_cast<LengthUnit>(unit->currentData().toInt()); });
  });
  const auto name = [](const QString& path) { return path.isEmpty() ? tr("Take them from a project…") : path; };
  auto* workshop = new QPushButton(name(now.workshop), page);
  workshop->setObjectName(QStringLiteral("preferWorkshop"));
  workshop->setAccessibleName(tr("Project whose tools, stocks and machine new projects begin with"));
  auto* shipped_one = new QPushButton(tr("What comes with Dot Lane"), page);
  shipped_one->setObjectName(QStringLiteral("preferShippedWorkshop"));
  for (auto* button : {workshop, shipped_one}) set_kind(button, "pill"), button->setAutoDefault(false);
  shipped_one->setVisible(!now.workshop.isEmpty());
  auto* workshops = new QWidget(page);
  auto* workshop_row = new QHBoxLayout(workshops);
  workshop_row->setContentsMargins(0, 0, 0, 0);
  workshop_row->addWidget(workshop);
  workshop_row->addWidget(shipped_one);
  workshop_row->addStretch();
  add(tr("tools, stocks, machine"), workshops);
  const auto begin_with = [this, workshop, shipped_one, name](const QString& path) {
    change([&](Preferences& p) { p.workshop = path; });
    workshop->setText(name(path));
    shipped_one->setVisible(!path.isEmpty());
  };
  connect(workshop, &QPushButton::clicked, this, [this, begin_with] {
    const QStringList files =
        dialogs().openFiles(this, tr("New projects begin with the workshop of"), tr("Dot Lane projects (*.dotlane)"));
    if (files.isEmpty()) return;
    // What they need of it is kept by itself: small, and there when the project is gone.
    const QPointer<PreferencesWindow> open(this);
    session_.aside([open, begin_with, from = files.front()] {
      auto done = std::make_shared<Result<void>>(keep_workshop(from));
      return [open, begin_with, from, done] {
        if (!open) return;
        if (!*done) return open->said_->setText(qs(line_of(done->error())));
        begin_with(QFileInfo(from).completeBaseName());
      };
    });
  });
  connect(shipped_one, &QPushButton::clicked, this, [begin_with] { begin_with({}); });
  return page;
}

QWidget* PreferencesWindow::keys() {
  auto* page = new QWidget(this);
  auto* column = new QVBoxLayout(page);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(8);
  search_ = new QLineEdit(page);
  search_->setObjectName(QStringLiteral("keysSearch"));
  search_->setPlaceholderText(tr("Find an action"));
  search_->setAccessibleName(tr("Find an action"));
  column->addWidget(search_);
  list_ = new QTreeWidget(page);
  list_->setObjectName(QStringLiteral("keysList"));
  list_->setAccessibleName(tr("Actions and their keys"));
  list_->setColumnCount(2);
  list_->setHeaderLabels({tr("action"), tr("keys")});
  list_->setRootIsDecorated(false);
  list_->header()->setSectionResizeMode(0, QHeaderView::Stretch);
  list_->header()->setSectionResizeMode(1, QHeaderView::ResizeToContents);
  list_->header()->setStretchLastSection(false);
  column->addWidget(list_, 1);
  auto* row = new QHBoxLayout;
  edit_ = new QKeySequenceEdit(page);
  edit_->setObjectName(QStringLiteral("keysEdit"));
  edit_->setAccessibleName(tr("New keys of the chosen action"));
  own_ = new QPushButton(tr("As it was"), page);
  own_->setObjectName(QStringLiteral("keysOwn"));
  none_ = new QPushButton(tr("No keys"), page);
  none_->setObjectName(QStringLiteral("keysNone"));
  take_ = new QPushButton(page);
  take_->setObjectName(QStringLiteral("keysTake"));
  take_->hide();
  for (auto* button : {own_, none_, take_}) set_kind(button, "pill"), button->setAutoDefault(false);
  row->addWidget(edit_, 1);
  row->addWidget(own_);
  row->addWidget(none_);
  column->addLayout(row);
  clash_ = make_label(tr("Choose an action, then press its new keys in the field."), "quiet", page);
  clash_->setObjectName(QStringLiteral("keysClash"));
  column->addWidget(clash_);
  auto* offer = new QHBoxLayout;
  offer->addWidget(take_);
  offer->addStretch();
  column->addLayout(offer);
  fillKeys();
  connect(search_, &QLineEdit::textChanged, this, [this](const QString& text) {
    for (int i = 0; i < list_->topLevelItemCount(); ++i) {
      auto* item = list_->topLevelItem(i);
      bool all = true;
      for (const QString& word : text.split(u' ', Qt::SkipEmptyParts))
        all = all &&
              (item->text(0).contains(word, Qt::CaseInsensitive) || item->text(1).contains(word, Qt::CaseInsensitive));
      item->setHidden(!all);
    }
  });
  connect(list_, &QTreeWidget::currentItemChanged, this, [this] { showKeys(); });
  connect(edit_, &QKeySequenceEdit::editingFinished, this, [this] {
    if (chosen() && edit_->keySequence() != chosen()->shortcut()) setKeys(edit_->keySequence());
  });
  connect(own_, &QPushButton::clicked, this, [this] {
    if (QAction* action = chosen()) giveKeys(action, std::nullopt);
  });
  connect(none_, &QPushButton::clicked, this, [this] {
    if (QAction* action = chosen()) giveKeys(action, QString());
  });
  return page;
}

void PreferencesWindow::fillKeys() {
  const QString before = chosen() ? chosen()->objectName() : QString();
  list_->clear();
  for (QAction* action : actions_.all()) {
    auto* item = new QTreeWidgetItem(list_, {action->text(), action->shortcut().toString(QKeySequence::NativeText)});
    item->setData(0, Qt::UserRole, action->objectName());
    if (preferred_keys(action->objectName())) {
      QFont changed = item->font(1);
      changed.setBold(true);
      item->setFont(1, changed);
    }
    if (action->objectName() == before) list_->setCurrentItem(item);
  }
  showKeys();
}

QAction* PreferencesWindow::chosen() const {
  const auto* item = list_ ? list_->currentItem() : nullptr;
  return item ? actions_.find(item->data(0, Qt::UserRole).toString()) : nullptr;
}

void PreferencesWindow::showKeys() {
  QAction* action = chosen();
  for (QWidget* w : {static_cast<QWidget*>(edit_), static_cast<QWidget*>(own_), static_cast<QWidget*>(none_)})
    w->setEnabled(action);
  edit_->setKeySequence(action ? action->shortcut() : QKeySequence());
  take_->hide();
}

void PreferencesWindow::setKeys(const QKeySequence& sequence) {
  QAction* action = chosen();
  take_->disconnect();
  if (QAction* other = actions_.having(sequence, action)) {
    clash_->setText(tr("%1 has these keys, or begins with them: %2.")
                        .arg(other->text(), other->shortcut().toString(QKeySequence::NativeText)));
    take_->setText(tr("Take them from it"));
    take_->show();
    connect(take_, &QPushButton::clicked, this, [this, action, other, sequence] {
      giveKeys(other, QString());
      giveKeys(action, sequence.toString(QKeySequence::PortableText));
    });
    return;
  }
  giveKeys(action, sequence.toString(QKeySequence::PortableText));
}

void PreferencesWindow::giveKeys(QAction* action, const std::optional<QString>& keys) {
  prefer_keys(action->objectName(), keys);
  actions_.refreshKeys();
  clash_->setText(tr("%1: %2").arg(action->text(), action->shortcut().isEmpty()
                                                       ? tr("no keys")
                                                       : action->shortcut().toString(QKeySequence::NativeText)));
  fillKeys();
  emit changed();
}

}  // namespace dotlane
