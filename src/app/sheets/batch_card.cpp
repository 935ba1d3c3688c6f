#include "app/sheets/batch_card.hpp"

#include <QFormLayout>
#include <QLocale>
#include <QPointer>
#include <map>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/lay_edit.hpp"

namespace dotlane {
namespace {

constexpr double kLookSeconds = 2;  // for a better packing

QString money_text(double hundredths) { return QLocale().toCurrencyString(hundredths / 100); }

QString kind_text(Cost::Line::What what) {
  switch (what) {
    case Cost::Line::What::sheet:
      return BatchCard::tr("sheets");
    case Cost::Line::What::offcut:
      return BatchCard::tr("left of them");
    case Cost::Line::What::wear:
      return BatchCard::tr("wear of tools");
    default:
      return BatchCard::tr("work");
  }
}

/// "Felt 12 x 9 in: 4 sheets, 1 of them to buy".
QString need_text(const Batch::Need& need, LengthUnit unit) {
  const QString what =
      QStringLiteral("%1, %2 %3")
          .arg(qs(need.stock), size_text({0, 0, need.size_mm.x, need.size_mm.y}, unit), unit_word(unit));
  const QString sheets =
      counted(static_cast<std::size_t>(need.sheets), BatchCard::tr("sheet"), BatchCard::tr("sheets"));
  QString line = BatchCard::tr("%1: %2").arg(what, sheets);
  if (need.missing > 0 && need.missing == need.sheets) {
    line += BatchCard::tr(", to buy");
  } else if (need.missing > 0) {
    line += BatchCard::tr(", %1 to buy").arg(need.missing);
  } else {
    line += BatchCard::tr(", all on the shelf");
  }
  if (need.missing > 0 && need.price > 0)
    line += BatchCard::tr(" for %1").arg(money_text(static_cast<double>(need.missing) * need.price * 100));
  return line;
}

}  // namespace

BatchCard::BatchCard(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  setObjectName(QStringLiteral("batchCard"));
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  column->addWidget(make_label(tr("A batch"), "heading", this));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  column->addLayout(form);
  copies_ = new NumberField(tr("How many of everything the batch has"), NumberField::Kind::plain, this, tr("×"));
  copies_->setObjectName(QStringLiteral("batchCopies"));
  copies_->setRange(1, kMostCopies);
  copies_->setValue(10, session_.project().unit);
  form->addRow(make_label(tr("made"), "quiet", this), copies_);
  text_ = make_label({}, "body", this);
  text_->setObjectName(QStringLiteral("batchText"));
  text_->setTextInteractionFlags(Qt::TextSelectableByMouse);
  text_->hide();
  column->addWidget(text_);
  table_ = new QGridLayout;
  table_->setHorizontalSpacing(12);
  table_->setVerticalSpacing(2);
  table_->setColumnStretch(0, 1);
  column->addLayout(table_);
  button_ = new QPushButton(tr("What it takes and costs"), this);
  button_->setObjectName(QStringLiteral("batchButton"));
  button_->setToolTip(tr("Packs them onto what is on the shelf, and onto as many more sheets of it as that takes"));
  set_kind(button_, "soft");
  column->addWidget(button_);
  connect(button_, &QPushButton::clicked, this, [this] {
    if (stop_) {
      *stop_ = true, stop_.reset();
      clear();
    } else {
      workOut();
    }
  });
  connect(copies_, &NumberField::edited, this, &BatchCard::clear);
  connect(&session_, &Session::changed, this, [this] {
    if ((shown_ || stop_) && !(session_.project() == for_)) clear();
  });
}

BatchCard::~BatchCard() {
  if (stop_) *stop_ = true;
}

void BatchCard::clear() {
  if (stop_) *stop_ = true, stop_.reset();
  shown_ = false;
  text_->clear();
  text_->hide();
  while (QLayoutItem* item = table_->takeAt(0)) {
    delete item->widget();
    delete item;
  }
  button_->setText(tr("What it takes and costs"));
}

void BatchCard::workOut() {
  clear();
  for_ = session_.project();
  const int copies = static_cast<int>(std::round(copies_->value()));
  stop_ = std::make_shared<std::atomic<bool>>(false);
  button_->setText(tr("Stop packing"));
  session_.aside(
      [self = QPointer<BatchCard>(this), project = for_, copies, stop = stop_]() -> std::function<void()> {
        DrawingCache cache;
        const Drawing drawing = evaluate(project, cache);
        auto batch =
            std::make_shared<Batch>(batch_of(project, drawing, copies, kLookSeconds, [stop] { return stop->load(); }));
        return [self, batch, stop] {
          if (!self || self->stop_ != stop) return;
          self->stop_.reset();
          self->show(*batch);
        };
      },
      0,
      [self = QPointer<BatchCard>(this)] {
        if (self) self->clear();
      });
}

void BatchCard::show(const Batch& batch) {
  clear();
  shown_ = true;
  const LengthUnit unit = session_.project().unit;
  QStringList lines;
  std::map<std::string, std::size_t> scraps;
  for (const auto& need : batch.needs) scraps[need.stock] += need.scrap;
  for (const auto& [stock, n] : scraps) {
    if (n > 0) lines << tr("%1: %2 from the shelf").arg(qs(stock), counted(n, tr("scrap"), tr("scraps")));
  }
  for (const auto& need : batch.needs) {
    if (!need.scrap) lines << need_text(need, unit);
  }
  if (batch.waiting > 0)
    lines << tr("%1 on no sheet there is.").arg(counted(batch.waiting, tr("part fits"), tr("parts fit")));
  if (batch.needs.empty()) lines << tr("There is nothing to cut.");
  if (batch.seconds > 0) lines << tr("It takes %1, hands and all.").arg(time_text(batch.seconds));
  if (batch.unpriced()) lines << tr("Sheets without a price are not in the cost; it is said with them on the shelf.");
  text_->setText(lines.join(QLatin1Char('\n')));
  text_->show();
  int row = 0;
  const auto cell = [&](const QString& text, const char* kind, int column) {
    auto* label = make_label(text, kind, this);
    label->setWordWrap(false);
    if (column > 0) label->setAlignment(Qt::AlignRight);
    table_->addWidget(label, row, column);
    return label;
  };
  const auto costs = by_kind(batch.cost);
  if (costs.empty()) return button_->setText(tr("Once more"));
  cell({}, "quiet", 0);
  cell(tr("in all"), "quiet", 1);
  cell(tr("apiece"), "quiet", 2);
  const auto tell = [&](const QString& what, long hundredths, const char* kind) {
    ++row;
    cell(what, kind, 0);
    cell(money_text(static_cast<double>(hundredths)), kind, 1)->setObjectName(QStringLiteral("batchInAll"));
    cell(money_text(static_cast<double>(hundredths) / batch.copies), kind, 2);
  };
  for (const auto& [what, sum] : costs) tell(kind_text(what), sum, "body");
  if (costs.size() > 1) tell(tr("together"), batch.cost.total(), "name");
  button_->setText(tr("Once more"));
}

}  // namespace dotlane
