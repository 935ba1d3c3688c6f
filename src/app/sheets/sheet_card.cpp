#include "app/sheets/sheet_card.hpp"

#include <QFormLayout>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLocale>
#include <QVBoxLayout>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/shelf.hpp"

namespace dotlane {

SheetCard::SheetCard(Session& session, SheetDesk& desk, QWidget* parent)
    : QFrame(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("sheetCard"));
  set_kind(this, "card");
  auto* box = new QVBoxLayout(this);
  box->setContentsMargins(12, 8, 12, 10);
  box->setSpacing(2);
  auto* head = new QHBoxLayout;
  swatch_ = new QLabel(this);
  name_ = make_label({}, "name", this);
  head->addWidget(swatch_);
  head->addWidget(name_, 1);
  box->addLayout(head);
  facts_ = make_label({}, "quiet", this);
  facts_->setObjectName(QStringLiteral("sheetFacts"));
  box->addWidget(facts_);
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  box->addLayout(form);
  using Kind = NumberField::Kind;
  const auto field = [&](const QString& label, const QString& name, Kind kind, const QString& unit, double low,
                         double high, int decimals, auto change) {
    auto* f = new NumberField(name, kind, this, unit, decimals);
    f->setRange(low, high);
    form->addRow(make_label(label, "quiet", this), f);
    connect(f, &NumberField::edited, this, [name, change](double v) { change(name, v); });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  const auto sheet_length = [&](const QString& label, const QString& name, double low, auto set) {
    return field(label, name, Kind::length, {}, low, 5000, -1, [this, set](const QString& what, double v) {
      editSheet(what, what.toStdString(), [&](Sheet& x) { set(x, v); });
    });
  };
  width_ = sheet_length(tr("sheet width"), tr("Sheet width"), 1, [](Sheet& x, double v) { x.area.x1 = x.area.x0 + v; });
  height_ =
      sheet_length(tr("sheet height"), tr("Sheet height"), 1, [](Sheet& x, double v) { x.area.y1 = x.area.y0 + v; });
  left_ = sheet_length(tr("from left"), tr("Sheet from the left edge of the mat"), 0,
                       [](Sheet& x, double v) { x.area.x1 += v - x.area.x0, x.area.x0 = v; });
  top_ = sheet_length(tr("from top"), tr("Sheet from the top edge of the mat"), 0,
                      [](Sheet& x, double v) { x.area.y1 += v - x.area.y0, x.area.y0 = v; });
  load_ = field(tr("mat load"), tr("Mat load the sheet is on"), Kind::plain, {}, 1, 99, -1,
                [this](const QString&, double v) {
                  editSheet(tr("Change the mat load"), "load", [&](Sheet& x) { x.load = static_cast<int>(v); });
                });
  thick_ = field(tr("thickness"), tr("Thickness of the stock"), Kind::length, {}, 0, 20, 2,
                 [this](const QString&, double v) {
                   editStock(tr("Change the thickness"), "thick", [&](Stock& x) { x.thickness_mm = v; });
                 });
  grammage_ = field(tr("grammage"), tr("Grammage of the stock"), Kind::plain, tr("g/m²"), 0, 2000, -1,
                    [this](const QString&, double v) {
                      editStock(tr("Change the grammage"), "gsm", [&](Stock& x) { x.grammage_gsm = v; });
                    });
  grammage_->setZero(tr("not stated"));
  shrinks_ = field(tr("shrinks by"), tr("How much the stock shrinks in the wash"), Kind::plain, tr("%"), 0, 50, 1,
                   [this](const QString&, double v) {
                     editStock(tr("Change the shrinkage"), "shrinks", [&](Stock& x) { x.shrinks_percent = v; });
                   });
  shrinks_->setToolTip(tr("Before it is cut: so much more is bought off the bolt"));
  grain_ = new QComboBox(this);
  grain_->setObjectName(QStringLiteral("grainBox"));
  grain_->setAccessibleName(tr("Which way the grain runs"));
  grain_->addItems({tr("no grain"), tr("along the height"), tr("across")});
  form->addRow(make_label(tr("grain"), "quiet", this), grain_);
  connect(grain_, &QComboBox::activated, this, [this](int row) {
    editStock(tr("Change the grain"), "", [&](Stock& x) { x.grain = kGrains[static_cast<std::size_t>(row)]; });
  });
  clear_ = new QCheckBox(tr("clear, seen through"), this);
  clear_->setToolTip(tr("A mark on its back shows at its front; such a job is mirrored once"));
  clear_->setObjectName(QStringLiteral("stockClear"));
  box->addWidget(clear_);
  connect(clear_, &QCheckBox::clicked, this, [this](bool on) {
    editStock(on ? tr("Make the stock clear") : tr("Make the stock opaque"), "", [&](Stock& x) { x.clear = on; });
  });
  ink_ = new QCheckBox(tr("takes ink"), this);
  ink_->setToolTip(tr("Else what is drawn on it smears, or beads"));
  ink_->setObjectName(QStringLiteral("stockInk"));
  box->addWidget(ink_);
  connect(ink_, &QCheckBox::clicked, this, [this](bool on) {
    editStock(on ? tr("The stock takes ink") : tr("The stock takes no ink"), "", [&](Stock& x) { x.takes_ink = on; });
  });
  blank_ = new QCheckBox(tr("a blank, never cut"), this);
  blank_->setToolTip(tr("Metal or acrylic: a line left to be cut on it was forgotten"));
  blank_->setObjectName(QStringLiteral("stockBlank"));
  box->addWidget(blank_);
  connect(blank_, &QCheckBox::clicked, this, [this](bool on) {
    editStock(on ? tr("The stock is never cut") : tr("The stock may be cut"), "", [&](Stock& x) { x.never_cut = on; });
  });
  printed_ = new QCheckBox(tr("printed before it is cut"), this);
  printed_->setObjectName(QStringLiteral("sheetPrinted"));
  printed_->setToolTip(tr("With dots in its corners by which the cutter finds the print"));
  box->addWidget(printed_);
  connect(printed_, &QCheckBox::clicked, this, [this](bool on) {
    editSheet(on ? tr("Print the sheet first") : tr("Do not print the sheet"), "", [&](Sheet& x) { x.printed = on; });
  });
  now_ = new QCheckBox(tr("run this time"), this);
  now_->setObjectName(QStringLiteral("sheetNow"));
  now_->setToolTip(tr("What is not run stays where it is"));
  box->addWidget(now_);
  connect(now_, &QCheckBox::clicked, this, [this](bool on) {
    if (const Sheet* sheet = desk_.sheet())
      session_.commit(set_sheet_not_now(session_.project(), sheet->id, !on),
                      on ? tr("Run the sheet this time") : tr("Not this time"));
  });
  auto* row = new QGridLayout;  // two beside each other: the panel is narrow
  row->setSpacing(5);
  const auto button = [&](const QString& text, const char* name, const QString& tip, auto run) {
    auto* b = new QPushButton(text, this);
    b->setObjectName(QString::fromLatin1(name));
    b->setToolTip(tip);
    set_kind(b, "chip");
    row->addWidget(b, row->count() / 2, row->count() % 2);
    connect(b, &QPushButton::clicked, this, run);
    return b;
  };
  offcut_ = button(tr("Keep offcut"), "keepOffcut", tr("Puts the largest clean rectangle on the shelf"), [this] {
    if (const Sheet* sheet = desk_.sheet())
      session_.editLaid(
          [id = sheet->id](const Project& p, const Drawing& d, const Layout& l) { return keep_offcut(p, d, l, id); },
          tr("Keep the offcut"));
  });
  rest_ = button(tr("Keep the rest"), "keepRest", tr("Puts all that is left on the shelf, by its outline"), [this] {
    if (const Sheet* sheet = desk_.sheet())
      session_.editLaid(
          [id = sheet->id](const Project& p, const Drawing& d, const Layout& l) { return keep_rest(p, d, l, id); },
          tr("Keep the rest"));
  });
  remove_ = button(tr("Remove"), "removeSheet", tr("Takes the sheet off its mat; its parts wait"), [this] {
    if (const Sheet* sheet = desk_.sheet())
      session_.commit(remove_sheet(session_.project(), sheet->id), tr("Remove the sheet"));
  });
  box->addSpacing(4);
  box->addLayout(row);
  connect(&desk_, &SheetDesk::changed, this, &SheetCard::update);
  connect(&session_, &Session::shown, this, &SheetCard::update);
  update();
}

void SheetCard::editSheet(const QString& label, const std::string& key, const std::function<void(Sheet&)>& change) {
  const Sheet* sheet = desk_.sheet();
  if (!sheet) return;
  Project next = session_.project();
  for (auto& x : next.sheets) {
    if (x.id == sheet->id) change(x);
  }
  session_.commit(std::move(next), label, key.empty() ? key : key + std::to_string(sheet->id));
}

void SheetCard::editStock(const QString& label, const std::string& key, const std::function<void(Stock&)>& change) {
  const Sheet* sheet = desk_.sheet();
  if (!sheet) return;
  Project next = session_.project();
  for (auto& x : next.stocks) {
    if (x.id == sheet->stock) change(x);
  }
  session_.commit(std::move(next), label, key.empty() ? key : key + sheet->stock);
}

void SheetCard::showEvent(QShowEvent* event) {
  QFrame::showEvent(event);
  update();
}

void SheetCard::update() {
  const Project& project = session_.project();
  // The layout may be a moment older than the project.
  const Sheet* known = desk_.sheet();
  const Sheet* sheet = known ? find_sheet(project, known->id) : nullptr;
  setVisible(sheet != nullptr);
  if (!sheet) return;
  const Stock* stock = find_stock(project, sheet->stock);
  if (stock) swatch_->setPixmap(swatch_icon(to_qcolor(stock->color)).pixmap(16, 16));
  name_->setText(tr("%1 %2  ·  %3")
                     .arg(sheet->outline.empty() ? tr("Sheet") : tr("Scrap"))
                     .arg(desk_.number_of(sheet->id))
                     .arg(qs(stock ? stock->name : sheet->stock)));
  const auto& laid = desk_.layout().laid;
  const auto n = std::count_if(laid.begin(), laid.end(), [&](const LaidPart& p) { return p.sheet == sheet->id; });
  QString facts = counted(static_cast<std::size_t>(n), tr("part"), tr("parts"));
  const SheetUse* use = isVisible() ? desk_.use_of(sheet->id) : nullptr;
  if (use) {
    facts += tr("  ·  %1 % used").arg(QLocale().toString(100 * use->used, 'f', 0));
    if (use->offcut.width() >= 1)
      facts += tr("\noffcut %1 %2").arg(size_text(use->offcut, project.unit), unit_word(project.unit));
  }
  facts_->setText(facts);
  for (auto* f : {width_, height_}) f->setEnabled(sheet->outline.empty());
  width_->setValue(sheet->area.width(), project.unit);
  height_->setValue(sheet->area.height(), project.unit);
  left_->setValue(sheet->area.x0, project.unit);
  top_->setValue(sheet->area.y0, project.unit);
  load_->setValue(sheet->load);
  now_->setChecked(!sheet->not_now);
  printed_->setChecked(sheet->printed);
  printed_->setEnabled(sheet->outline.empty() || sheet->printed);
  const bool spare = std::count_if(project.sheets.begin(), project.sheets.end(),
                                   [&](const Sheet& s) { return s.stock == sheet->stock; }) > 1;
  remove_->setEnabled(spare);
  if (!stock) return;
  thick_->setValue(stock->thickness_mm, project.unit);
  grammage_->setValue(stock->grammage_gsm);
  shrinks_->setValue(stock->shrinks_percent);
  grain_->setCurrentIndex(static_cast<int>(stock->grain));
  clear_->setChecked(stock->clear);
  ink_->setChecked(stock->takes_ink);
  blank_->setChecked(stock->never_cut);
}

}  // namespace dotlane
