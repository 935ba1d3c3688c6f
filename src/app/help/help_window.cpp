#include "app/help/help_window.hpp"

#include <QHBoxLayout>
#include <QTextBlock>
#include <QTextList>
#include <QVBoxLayout>
#include <algorithm>

#include "app/style.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {

HelpWindow::HelpWindow(const Actions& actions, QWidget* parent) : QDialog(parent), pages_(help_pages(actions)) {
  setObjectName(QStringLiteral("helpWindow"));
  setWindowTitle(tr("Help"));
  setAttribute(Qt::WA_DeleteOnClose);
  resize(780, 600);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(18, 16, 18, 16);
  row->setSpacing(16);
  auto* side = new QVBoxLayout;
  side->setSpacing(8);
  search_ = new QLineEdit(this);
  search_->setObjectName(QStringLiteral("helpSearch"));
  search_->setPlaceholderText(tr("Search all pages"));
  search_->setAccessibleName(tr("Search all pages"));
  search_->setClearButtonEnabled(true);
  list_ = new QListWidget(this);
  list_->setObjectName(QStringLiteral("helpList"));
  list_->setAccessibleName(tr("Pages"));
  list_->setFrameShape(QFrame::NoFrame);
  side->addWidget(search_);
  side->addWidget(list_, 1);
  auto* column = new QWidget(this);
  column->setFixedWidth(210);
  side->setContentsMargins(0, 0, 0, 0);
  column->setLayout(side);
  row->addWidget(column);
  text_ = new QTextBrowser(this);
  text_->setObjectName(QStringLiteral("helpText"));
  text_->setAccessibleName(tr("Page"));
  text_->setFrameShape(QFrame::NoFrame);
  text_->document()->setDocumentMargin(10);
  row->addWidget(text_, 1);
  for (const auto& page : pages_) {
    auto* item = new QListWidgetItem(page.title, list_);
    item->setData(Qt::UserRole, page.id);
  }
  connect(search_, &QLineEdit::textChanged, this, &HelpWindow::search);
  connect(list_, &QListWidget::currentRowChanged, this, &HelpWindow::showRow);
  list_->setCurrentRow(0);
}

void HelpWindow::showPage(const QString& id) {
  search_->clear();
  for (std::size_t i = 0; i < pages_.size(); ++i) {
    if (pages_[i].id == id) list_->setCurrentRow(static_cast<int>(i));
  }
}

void HelpWindow::search(const QString& words) {
  const QStringList wanted = words.split(u' ', Qt::SkipEmptyParts);
  int first = -1;
  for (std::size_t i = 0; i < pages_.size(); ++i) {
    const bool all = std::all_of(wanted.begin(), wanted.end(), [&](const QString& word) {
      return pages_[i].text.contains(word, Qt::CaseInsensitive);
    });
    const int row = static_cast<int>(i);
    list_->item(row)->setHidden(!all);
    if (all && first < 0) first = row;
  }
  if (first < 0) {
    text_->setPlainText(tr("No page has these words."));
  } else {
    if (list_->currentRow() < 0 || list_->item(list_->currentRow())->isHidden()) {
      list_->setCurrentRow(first);
    } else {
      showRow(list_->currentRow());
    }
    text_->moveCursor(QTextCursor::Start);
    if (!wanted.isEmpty()) text_->find(wanted.front());  // marked, and scrolled to
  }
}

void HelpWindow::showRow(int row) {
  if (row < 0) return;
  text_->setMarkdown(pages_[static_cast<std::size_t>(row)].text);
  // Markdown brings headings twice as large as the rest of the window, and paragraphs without room between them.
  constexpr int kBody = 13, kTitle = 19, kHeading = 15, kRoom = 7;  // px
  QTextCursor cursor(text_->document());
  for (QTextBlock block = text_->document()->begin(); block.isValid(); block = block.next()) {
    cursor.setPosition(block.position());
    QTextBlockFormat lines = block.blockFormat();
    const int level = lines.headingLevel();
    lines.setTopMargin(level > 1 ? 2 * kRoom : 0);
    lines.setBottomMargin(block.textList() ? kRoom / 2 : kRoom);
    cursor.setBlockFormat(lines);
    cursor.movePosition(QTextCursor::EndOfBlock, QTextCursor::KeepAnchor);
    QTextCharFormat letters;
    letters.setProperty(QTextFormat::FontSizeAdjustment, 0);
    letters.setProperty(QTextFormat::FontPixelSize, level == 1 ? kTitle : level > 1 ? kHeading : kBody);
    cursor.mergeCharFormat(letters);
  }
  text_->moveCursor(QTextCursor::Start);
}

}  // namespace dotlane
