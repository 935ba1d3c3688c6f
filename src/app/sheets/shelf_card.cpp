#include "app/sheets/shelf_card.hpp"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QLocale>
#include <QPainter>
#include <QPainterPath>
#include <QPushButton>
#include <QToolButton>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/shelf.hpp"
#include "render/view.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

/// The outline of a sheet or a scrap in its stock's colour.
QPixmap picture_of(const ShelfItem& item, const QColor& color) {
  QPixmap out(68, 60);
  out.setDevicePixelRatio(2);
  out.fill(Qt::transparent);
  QPainter p(&out);
  p.setRenderHint(QPainter::Antialiasing);
  p.setPen(QPen(theme().quiet, 0.8));
  p.setBrush(color);
  const View view = View::fitting(Box::of(0, 0, item.width_mm, item.height_mm), QRectF(0, 0, 34, 30), 1.5);
  QPainterPath path;
  path.setFillRule(Qt::OddEvenFill);
  if (item.outline.empty()) path.addRect(view.to_px(Box::of(0, 0, item.width_mm, item.height_mm)));
  for (const auto& ring : item.outline) {
    QPolygonF pixels;
    for (const Vec q : ring) pixels.append(view.to_px(q));
    path.addPolygon(pixels);
    path.closeSubpath();
  }
  p.drawPath(path);
  return out;
}

}  // namespace

ShelfCard::ShelfCard(Session& session, SheetDesk& desk, QWidget* parent)
    : QWidget(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("shelfCard"));
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  column->addWidget(make_label(tr("Shelf"), "heading", this));
  items_ = new QVBoxLayout;
  items_->setSpacing(4);
  column->addLayout(items_);
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  column->addLayout(form);
  stock_ = new QComboBox(this);
  stock_->setObjectName(QStringLiteral("shelfStock"));
  stock_->setAccessibleName(tr("Stock of what is put on the shelf"));
  form->addRow(make_label(tr("stock"), "quiet", this), stock_);
  using Kind = NumberField::Kind;
  width_ = new NumberField(tr("Width of a sheet for the shelf"), Kind::length, this);
  height_ = new NumberField(tr("Height of a sheet for the shelf"), Kind::length, this);
  count_ = new NumberField(tr("How many sheets for the shelf"), Kind::plain, this, tr("sheets"));
  for (auto* f : {width_, height_}) f->setRange(1, 5000), f->setValue(304.8);
  count_->setRange(0, 10'000);
  count_->setZero(tr("as many as wanted"));
  form->addRow(make_label(tr("width"), "quiet", this), width_);
  form->addRow(make_label(tr("height"), "quiet", this), height_);
  form->addRow(make_label(tr("how many"), "quiet", this), count_);
  price_ = new NumberField(tr("Price of a sheet for the shelf"), Kind::plain, this, {}, 2);
  price_->setObjectName(QStringLiteral("shelfPrice"));
  price_->setRange(0, 1e6);
  price_->setZero(tr("not said"));
  form->addRow(make_label(tr("each costs"), "quiet", this), price_);
  auto* row = new QHBoxLayout;
  row->setSpacing(5);
  const auto button = [&](const QString& text, const char* name, const QString& tip) {
    auto* b = new QPushButton(text, this);
    b->setObjectName(QString::fromLatin1(name));
    b->setToolTip(tip);
    set_kind(b, "chip");
    row->addWidget(b);
    return b;
  };
  connect(button(tr("Put on the shelf"), "shelfAdd", tr("Sheets of this size")), &QPushButton::clicked, this,
          &ShelfCard::addSheets);
  connect(button(tr("Of another…"), "shelfOther", tr("Takes what is on the shelf of another project")),
          &QPushButton::clicked, this, &ShelfCard::otherShelfAsked);
  column->addLayout(row);
  outline_ = new QLineEdit(this);
  outline_->setObjectName(QStringLiteral("scrapOutline"));
  outline_->setAccessibleName(tr("Corners of a scrap"));
  outline_->setPlaceholderText(tr("0,0 120,0 120,80 40,110"));
  outline_->setToolTip(tr("The corners of a scrap in mm, one after the other"));
  set_kind(outline_, "boxed");
  column->addWidget(make_label(tr("a scrap by its corners, in mm, or as it lies on a photograph"), "quiet", this));
  column->addWidget(outline_);
  row = new QHBoxLayout;
  row->setSpacing(5);
  connect(button(tr("Keep"), "scrapAdd", tr("Puts a scrap with these corners on the shelf")), &QPushButton::clicked,
          this, &ShelfCard::addScrap);
  connect(button(tr("As drawn"), "scrapDrawn", tr("Puts the outline of the chosen part on the shelf as a scrap")),
          &QPushButton::clicked, &desk_, &SheetDesk::keepAsScraps);
  connect(button(tr("Photograph…"), "scrapPhotograph", tr("Finds scraps on a picture of the mat")),
          &QPushButton::clicked, this, [this] { emit photographAsked(qs(stock())); });
  column->addLayout(row);
  connect(outline_, &QLineEdit::returnPressed, this, &ShelfCard::addScrap);
  connect(&session_, &Session::shown, this, &ShelfCard::update);
  // The stock is that of the sheet that was picked.
  connect(&desk_, &SheetDesk::changed, this, [this] {
    const Sheet* sheet = desk_.sheet();
    if (!sheet || sheet->stock == of_sheet_) return;
    of_sheet_ = sheet->stock;
    const int at = stock_->findData(qs(sheet->stock));
    if (at >= 0) stock_->setCurrentIndex(at);
  });
  update();
}

std::string ShelfCard::stock() const { return stock_->currentData().toString().toStdString(); }

void ShelfCard::addSheets() {
  Project next = session_.project();
  ShelfItem item;
  item.stock = stock();
  item.width_mm = width_->value(), item.height_mm = height_->value();
  if (count_->value() > 0) item.count = static_cast<int>(count_->value());
  item.price = price_->value();
  add_to_shelf(next, std::move(item));
  session_.commit(std::move(next), tr("Put on the shelf"));
}

void ShelfCard::addScrap() {
  const auto area = outline_from(outline_->text().toStdString());
  outline_->setProperty("wrong", !area);
  outline_->style()->polish(outline_);
  if (!area) {
    emit desk_.said(qs(sentence(area.error().said)), true);
    return;
  }
  Project next = session_.project();
  add_to_shelf(next, scrap_of(*area, stock(), {}));
  session_.commit(std::move(next), tr("Keep a scrap"));
  outline_->clear();
}

void ShelfCard::update() {
  const Project& project = session_.project();
  std::string stocks;
  for (const auto& stock : project.stocks) stocks += stock.id + "\n" + stock.name + "\n";
  if (stocks != stocks_) {
    stocks_ = stocks;
    const QString now = stock_->currentData().toString();
    stock_->clear();
    for (const auto& stock : project.stocks)
      stock_->addItem(swatch_icon(to_qcolor(stock.color)), qs(stock.name), qs(stock.id));
    stock_->setCurrentIndex(std::max(0, stock_->findData(now)));
  }
  for (auto* f : {width_, height_}) f->setValue(f->value(), project.unit);
  auto taken = reserved(project);
  if (shown_ == project.shelf && unit_ == project.unit && taken == taken_ && items_->count() > 0) return;
  shown_ = project.shelf, unit_ = project.unit, taken_ = std::move(taken);
  while (QLayoutItem* item = items_->takeAt(0)) {
    if (item->widget()) item->widget()->hide(), item->widget()->deleteLater();
    delete item;
  }
  if (project.shelf.empty())
    items_->addWidget(
        make_label(tr("Nothing stated: sheets are there as many as wanted, of the size of the first."), "quiet", this));
  for (const auto& item : project.shelf) {
    auto* line = new QWidget(this);
    auto* row = new QHBoxLayout(line);
    row->setContentsMargins(0, 0, 0, 0);
    row->setSpacing(6);
    const Stock* stock = find_stock(project, item.stock);
    auto* picture = new QLabel(line);
    picture->setPixmap(picture_of(item, to_qcolor(stock ? stock->color : Color{255, 255, 255})));
    row->addWidget(picture);
    QString text =
        size_text(Box::of(0, 0, item.width_mm, item.height_mm), project.unit) + QChar(' ') + unit_word(project.unit);
    text += item.count ? QStringLiteral(", %1 ×").arg(*item.count) : tr(", any number");
    if (!item.outline.empty()) text = tr("scrap, %1").arg(text);
    if (item.price > 0) text += QStringLiteral(", ") + QLocale().toCurrencyString(item.price);
    for (const auto& now : taken_) {
      if (now.item != item.id || now.sheets == 0) continue;
      text += tr("\n%1 reserved").arg(now.sheets);
      if (now.missing > 0) text += tr(", %1 to buy").arg(now.missing);
    }
    auto* label = make_label(qs(stock ? stock->name : item.stock) + QLatin1Char('\n') + text +
                                 (item.from.empty() ? QString() : QLatin1Char('\n') + tr("from %1").arg(qs(item.from))),
                             "quiet", line);
    row->addWidget(label, 1);
    const auto tool = [&](const QString& sign, const QString& name, const QString& says, auto run) {
      auto* b = new QToolButton(line);
      b->setText(sign);
      b->setObjectName(name + QString::number(item.id));
      b->setAccessibleName(says);
      b->setToolTip(says);
      set_kind(b, "flat");
      row->addWidget(b);
      connect(b, &QToolButton::clicked, this, run);
    };
    tool(tr("Lay"), QStringLiteral("shelfLay"), tr("Lay it on a mat"), [this, id = item.id] {
      session_.commit(lay_from_shelf(session_.project(), id), tr("Lay a sheet from the shelf"));
    });
    tool(QStringLiteral("×"), QStringLiteral("shelfRemove"), tr("Take it off the shelf"), [this, id = item.id] {
      session_.commit(remove_from_shelf(session_.project(), id), tr("Take it off the shelf"));
    });
    items_->addWidget(line);
  }
}

}  // namespace dotlane
