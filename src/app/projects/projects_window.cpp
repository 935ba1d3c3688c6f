#include "app/projects/projects_window.hpp"

#include <QDateTime>
#include <QDir>
#include <QFileInfo>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QLocale>
#include <QMenu>
#include <QPointer>
#include <QScrollBar>
#include <QVBoxLayout>

#include "app/dialogs.hpp"
#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/shape/clip.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr int kTypingMs = 120;  // after the last key
constexpr QSize kPieceIcon(52, 40);
constexpr int kSideWidth = 316;

/// As people write it: "~" for their own folder.
QString shown_path(const QString& path) {
  const QString home = QDir::homePath() + QLatin1Char('/');
  return QDir::toNativeSeparators(path.startsWith(home) ? QStringLiteral("~/") + path.mid(home.size()) : path);
}

}  // namespace

ProjectsWindow::ProjectsWindow(Session& session, QWidget* parent)
    : QDialog(parent), session_(session), desk_(new ProjectDesk(this)) {
  setWindowTitle(tr("Projects"));
  setObjectName(QStringLiteral("projectsWindow"));
  set_help(this, "projects");
  setAttribute(Qt::WA_DeleteOnClose);
  resize(1000, 640);
  auto* whole = new QHBoxLayout(this);
  whole->setContentsMargins(0, 0, 0, 0);
  whole->setSpacing(0);
  auto* left = new QWidget(this);
  set_kind(left, "ground");
  left->setAttribute(Qt::WA_StyledBackground);
  auto* column = new QVBoxLayout(left);
  column->setContentsMargins(16, 14, 10, 12);
  column->setSpacing(8);
  asked_ = new QLineEdit(left);
  asked_->setObjectName(QStringLiteral("projectSearch"));
  asked_->setAccessibleName(tr("Find projects by words and sizes"));
  asked_->setPlaceholderText(tr("Name, piece, words on it, stock or size: star kraft, 5 x 7 in"));
  set_kind(asked_, "boxed");
  column->addWidget(asked_);
  auto* row = new QHBoxLayout;
  count_ = make_label({}, "quiet", left);
  count_->setObjectName(QStringLiteral("projectCount"));
  row->addWidget(count_, 1);
  folders_ = new QToolButton(left);
  folders_->setObjectName(QStringLiteral("projectFolders"));
  folders_->setText(tr("Folders"));
  folders_->setToolTip(tr("Which folders are looked through for projects"));
  folders_->setPopupMode(QToolButton::InstantPopup);
  folders_->setMenu(new QMenu(folders_));
  set_kind(folders_, "chip");
  row->addWidget(folders_);
  column->addLayout(row);
  model_ = new ProjectTiles(*desk_, session_.project().unit, this);
  pages_ = new QStackedWidget(left);
  tiles_ = make_project_list(*model_, pages_);
  pages_->addWidget(tiles_);
  nothing_ = make_label({}, "quiet", pages_);
  nothing_->setObjectName(QStringLiteral("projectsNothing"));
  nothing_->setAlignment(Qt::AlignCenter);
  nothing_->setMargin(60);
  pages_->addWidget(nothing_);
  column->addWidget(pages_, 1);
  whole->addWidget(left, 1);

  side_ = new QStackedWidget(this);
  side_->setFixedWidth(kSideWidth);
  set_kind(side_, "right");
  auto* empty = make_label(tr("Choose a project: what is in it shows here, to be opened or to be brought into the one "
                              "that is open."),
                           "quiet", side_);
  empty->setMargin(20);
  empty->setAlignment(Qt::AlignTop);
  side_->addWidget(empty);
  auto* panel = new QWidget(side_);
  auto* right = new QVBoxLayout(panel);
  right->setContentsMargins(16, 14, 16, 14);
  right->setSpacing(6);
  name_ = make_label({}, "title", panel);
  name_->setObjectName(QStringLiteral("foundName"));
  about_ = make_label({}, "body", panel);
  about_->setObjectName(QStringLiteral("foundAbout"));
  where_ = make_label({}, "quiet", panel);
  where_->setObjectName(QStringLiteral("foundWhere"));
  for (auto* label : {name_, about_, where_}) right->addWidget(label);
  auto* opening = new QHBoxLayout;
  opening->setSpacing(6);
  const auto button = [&](const QString& text, const char* object, const char* kind) {
    auto* made = new QPushButton(text, panel);
    made->setObjectName(QString::fromLatin1(object));
    made->setAutoDefault(false);  // Enter belongs to what has the keyboard
    set_kind(made, kind);
    return made;
  };
  open_ = button(tr("Open"), "openFound", "pill");
  beside_ = button(tr("In a window of its own"), "openBeside", "pill");
  opening->addWidget(open_);
  opening->addWidget(beside_, 1);
  right->addLayout(opening);
  right->addWidget(make_line(panel));
  right->addWidget(make_label(tr("Pieces"), "heading", panel));
  pieces_ = new QListWidget(panel);
  pieces_->setObjectName(QStringLiteral("foundPieces"));
  pieces_->setAccessibleName(tr("Pieces of the project"));
  pieces_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  pieces_->setIconSize(kPieceIcon);
  pieces_->setFrameShape(QFrame::NoFrame);
  pieces_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  pieces_->setTextElideMode(Qt::ElideRight);
  pieces_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  right->addWidget(pieces_, 1);
  said_ = make_label({}, "quiet", panel);
  said_->setObjectName(QStringLiteral("broughtSaid"));
  said_->hide();
  right->addWidget(said_);
  bring_ = button(QString(), "bringOver", "primary");
  right->addWidget(bring_);
  side_->addWidget(panel);
  whole->addWidget(side_);

  typed_.setSingleShot(true);
  typed_.setInterval(kTypingMs);
  connect(&typed_, &QTimer::timeout, this, &ProjectsWindow::find);
  connect(asked_, &QLineEdit::textChanged, this, [this] { typed_.start(); });
  connect(desk_, &ProjectDesk::changed, this, &ProjectsWindow::find);
  connect(desk_, &ProjectDesk::said, this, [this](const QString& what, bool) { count_->setText(what); });
  connect(tiles_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &ProjectsWindow::showChosen);
  connect(tiles_, &QListView::activated, this, [this] { openChosen(false); });
  connect(open_, &QPushButton::clicked, this, [this] { openChosen(false); });
  connect(beside_, &QPushButton::clicked, this, [this] { openChosen(true); });
  connect(bring_, &QPushButton::clicked, this, &ProjectsWindow::bring);
  connect(pieces_, &QListWidget::itemSelectionChanged, this, [this] {
    said_->hide();
    updateButtons();
  });
  // The strip that says so elsewhere lies under this window.
  connect(this, &ProjectsWindow::broughtOver, said_, [this](const QString& message) {
    said_->setText(message);
    said_->show();
  });
  connect(pieces_, &QListWidget::itemActivated, this, &ProjectsWindow::bring);
  connect(&session_, &Session::fileChanged, this, &ProjectsWindow::updateButtons);
  asked_->installEventFilter(this);
  fillFolders();
  find();
  desk_->look();
  asked_->setFocus();
}

bool ProjectsWindow::eventFilter(QObject* watched, QEvent* event) {
  if (watched == asked_ && event->type() == QEvent::KeyPress) {
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key == Qt::Key_Escape && !asked_->text().isEmpty()) {
      asked_->clear();
      return true;
    }
    if ((key == Qt::Key_Down || key == Qt::Key_Return || key == Qt::Key_Enter) && model_->rowCount() > 0) {
      if (!tiles_->currentIndex().isValid()) tiles_->setCurrentIndex(model_->index(0));
      tiles_->setFocus();
      return true;
    }
  }
  return QDialog::eventFilter(watched, event);
}

void ProjectsWindow::find() {
  const double unit_mm = session_.project().unit == LengthUnit::inch ? 25.4 : 1;
  desk_->find(asked_->text(), unit_mm, [this](const std::vector<FoundProject>& found) { list(found); });
}

const FoundProject* ProjectsWindow::chosen() const {
  const auto rows = tiles_->selectionModel()->selectedIndexes();
  return rows.isEmpty() ? nullptr : &model_->found(rows.front().row());
}

void ProjectsWindow::list(const std::vector<FoundProject>& found) {
  const FoundProject* now = chosen();
  const std::string kept = now ? now->path : std::string();
  {
    // What was chosen stays chosen, if it is still there, and in its place while more is found.
    const QSignalBlocker quiet(tiles_->selectionModel());
    const int scrolled = asked_->text() == listed_ ? tiles_->verticalScrollBar()->value() : 0;
    listed_ = asked_->text();
    model_->setFound(found);
    tiles_->doItemsLayout();
    tiles_->verticalScrollBar()->setValue(scrolled);
    if (const int row = model_->rowOf(kept); !kept.empty() && row >= 0) {
      tiles_->selectionModel()->setCurrentIndex(model_->index(row), QItemSelectionModel::ClearAndSelect);
    } else if (!asked_->text().trimmed().isEmpty() && !found.empty()) {
      tiles_->selectionModel()->setCurrentIndex(model_->index(0), QItemSelectionModel::ClearAndSelect);
    }
  }
  tiles_->viewport()->update();
  const QString of = counted(desk_->known(), tr("project"), tr("projects"));
  const bool all = asked_->text().trimmed().isEmpty();
  QString line = all ? of : tr("%1 of %2").arg(QLocale().toString(static_cast<qulonglong>(found.size())), of);
  if (desk_->looking()) line += tr(" · looking through folders");
  count_->setText(line);
  if (!found.empty()) {
    pages_->setCurrentWidget(tiles_);
  } else {
    nothing_->setText(all ? tr("No project is known yet. What is opened or saved here is known from then on; so is "
                               "what lies in folders that you add under Folders.")
                          : tr("No project has all of that in it. Each word begins a word of a name, of a piece, of "
                               "what is lettered or of a stock; a size is that of a project or of a piece in it, such "
                               "as 105 x 148 mm, 5 x 7 in or 90 mm."));
    pages_->setCurrentWidget(nothing_);
  }
  showChosen();
}

void ProjectsWindow::showChosen() {
  const FoundProject* found = chosen();
  side_->setCurrentIndex(found ? 1 : 0);
  if (!found) {
    shown_.clear();
    return;
  }
  const LengthUnit unit = session_.project().unit;
  name_->setText(qs(found->glance.name));
  const QFileInfo file(qs(found->path));
  where_->setText(tr("%1\nchanged %2")
                      .arg(shown_path(file.filePath()), QLocale().toString(file.lastModified(), QLocale::ShortFormat)));
  const auto of_piece = [&](const PieceGlance& p) {
    return QStringLiteral("%1\n%2 %3 · %4")
        .arg(qs(p.name), size_text({0, 0, p.size_mm.x, p.size_mm.y}, unit), unit_word(unit), qs(p.stock));
  };
  if (found->trouble) {
    about_->setText(tr("It cannot be read: %1").arg(qs(sentence(*found->trouble))));
  } else {
    QStringList stocks;
    for (const auto& stock : found->stocks) stocks.append(qs(stock));
    about_->setText(found->glance.pieces.empty()
                        ? tr("Nothing is in it.")
                        : QStringLiteral("%1 %2 · %3")
                              .arg(size_text({0, 0, found->glance.size_mm.x, found->glance.size_mm.y}, unit),
                                   unit_word(unit), stocks.join(QStringLiteral(", "))));
  }
  const bool same = shown_ == found->path && shown_stamp_ == found->stamp &&
                    pieces_->count() == static_cast<int>(found->glance.pieces.size());
  shown_ = found->path, shown_stamp_ = found->stamp;
  const QSignalBlocker quiet(pieces_);
  if (!same) {
    pieces_->clear();
    QPixmap none(kPieceIcon);
    none.fill(Qt::transparent);
    for (const auto& p : found->glance.pieces) {
      auto* item = new QListWidgetItem(QIcon(none), of_piece(p), pieces_);
      item->setData(Qt::UserRole, p.id);
      item->setToolTip(qs(p.words.empty() ? p.name : p.name + ": " + p.words));
    }
    desk_->pieces(qs(found->path), kPieceIcon, [this, of = found->path](const std::vector<QImage>& pictures) {
      if (of != shown_) return;
      for (int i = 0; i < pieces_->count() && i < static_cast<int>(pictures.size()); ++i) {
        const QPixmap picture = QPixmap::fromImage(pictures[static_cast<std::size_t>(i)]);
        QIcon icon(picture);
        icon.addPixmap(picture, QIcon::Selected);  // its colours are what it is told by
        pieces_->item(i)->setIcon(icon);
      }
    });
  }
  // What was asked for is chosen and in sight.
  const bool asked = !asked_->text().trimmed().isEmpty();
  if (!same) said_->hide();
  if (!same || asked) pieces_->clearSelection();
  QListWidgetItem* first = nullptr;
  for (int i = 0; i < pieces_->count() && asked; ++i) {
    QListWidgetItem* item = pieces_->item(i);
    const int id = item->data(Qt::UserRole).toInt();
    const bool hit = std::find(found->hits.begin(), found->hits.end(), id) != found->hits.end();
    if (hit && id == found->hits.front()) first = item;
    if (hit && id == found->hits.front()) item->setSelected(true);
  }
  if (first) pieces_->scrollToItem(first);
  updateButtons();
}

void ProjectsWindow::updateButtons() {
  const FoundProject* found = chosen();
  const int n = static_cast<int>(pieces_->selectedItems().size());
  open_->setEnabled(found && !found->trouble);
  beside_->setEnabled(found && !found->trouble);
  bring_->setEnabled(found && n > 0);
  const QString into = fontMetrics().elidedText(qs(session_.project().name), Qt::ElideRight, 120);
  bring_->setText(n == 0 ? tr("Bring pieces into %1").arg(into)
                         : tr("Bring %1 into %2")
                               .arg(counted(static_cast<std::size_t>(n), tr("piece"), tr("pieces")), into)
                               .replace(u'&', QStringLiteral("&&")));
}

void ProjectsWindow::openChosen(bool beside) {
  const FoundProject* found = chosen();
  if (!found || found->trouble) return;
  const QString path = qs(found->path);
  if (!beside) close();
  emit openAsked(path, beside);
}

void ProjectsWindow::bring() {
  const FoundProject* found = chosen();
  std::vector<int> ids;
  for (const QListWidgetItem* item : pieces_->selectedItems()) ids.push_back(item->data(Qt::UserRole).toInt());
  if (!found || ids.empty()) return;
  desk_->read(qs(found->path), [this, ids, name = qs(found->glance.name)](
                                   const std::shared_ptr<Result<ProjectDesk::Opened>>& opened) {
    if (!*opened) return emit broughtOver(qs(line_of(opened->error())), true);
    auto fresh = std::make_shared<std::vector<int>>();
    session_.edit(
        [opened, ids, fresh](const Project& p, Effort effort) -> std::optional<Project> {
          if (effort == Effort::at_once) return std::nullopt;  // it is evaluated anew
          return brought_over(p, (*opened)->project, (*opened)->drawing, ids, fresh.get());
        },
        tr("Bring pieces over"));
    session_.whenEdited([self = QPointer(this), this, fresh, name] {
      if (!self) return;
      std::vector<LineRef> refs;
      for (const int id : *fresh) refs.push_back({id, ""});
      session_.select(std::move(refs));
      emit broughtOver(tr("%1 came from %2.").arg(counted(fresh->size(), tr("piece"), tr("pieces")), name), false);
    });
  });
}

void ProjectsWindow::fillFolders() {
  QMenu* menu = folders_->menu();
  menu->clear();
  const QStringList folders = project_folders();
  QAction* heading = menu->addAction(folders.isEmpty() ? tr("No folder is looked through") : tr("Looked through"));
  heading->setEnabled(false);
  for (const QString& folder : folders) {
    QAction* one = menu->addAction(shown_path(folder));
    one->setCheckable(true);
    one->setChecked(true);
    one->setToolTip(tr("Click it to look there no more"));
    connect(one, &QAction::triggered, this, [this, folder] {
      QStringList left = project_folders();
      left.removeAll(folder);
      set_project_folders(left);
      fillFolders();
    });
  }
  menu->addSeparator();
  connect(menu->addAction(tr("Look through a folder…")), &QAction::triggered, this, &ProjectsWindow::addFolder);
}

void ProjectsWindow::addFolder() {
  const QString folder = dialogs().openFolder(this, tr("Look through a folder for projects"));
  if (folder.isEmpty()) return;
  QStringList folders = project_folders();
  if (!folders.contains(folder)) folders.append(folder);
  set_project_folders(folders);
  fillFolders();
  desk_->look();
  find();
}

}  // namespace dotlane
