#include "app/sheets/bolt_card.hpp"

#include <QFormLayout>
#include <QLocale>
#include <QPointer>
#include <set>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/quantity.hpp"

namespace dotlane {

BoltCard::BoltCard(Session& session, SheetDesk& desk, QWidget* parent)
    : QWidget(parent), session_(session), desk_(desk) {
  setObjectName(QStringLiteral("boltCard"));
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(6);
  column->addWidget(make_label(tr("By the bolt"), "heading", this));
  auto* form = new QFormLayout;
  form->setVerticalSpacing(0);
  form->setHorizontalSpacing(10);
  column->addLayout(form);
  const auto add = [&](const QString& label, const char* name, NumberField* field, double low, double high,
                       double value) {
    field->setObjectName(QString::fromLatin1(name));
    field->setRange(low, high);
    field->setValue(value, session_.project().unit);
    form->addRow(make_label(label, "quiet", this), field);
    connect(field, &NumberField::edited, this, [this] {
      stop();
      for_.reset();
      update();
    });
    return field;
  };
  using Kind = NumberField::Kind;
  wide_ = add(tr("fabric is wide"), "boltWide", new NumberField(tr("Width of the bolt"), Kind::length, this), 20, 5000,
              1100);
  web_ = add(tr("web is wide"), "boltWeb", new NumberField(tr("Width of the fusible web"), Kind::length, this), 20,
             5000, 450);
  copies_ =
      add(tr("made"), "boltCopies", new NumberField(tr("How many are made"), Kind::plain, this, tr("×")), 1, 500, 1);
  layers_ = add(tr("layers cut at once"), "boltLayers", new NumberField(tr("Layers cut at once"), Kind::plain, this), 1,
                20, 1);
  text_ = make_label({}, "body", this);
  text_->setObjectName(QStringLiteral("boltText"));
  text_->setWordWrap(true);
  text_->setTextInteractionFlags(Qt::TextSelectableByMouse);
  column->addWidget(text_);
  button_ = new QPushButton(this);
  button_->setObjectName(QStringLiteral("boltButton"));
  button_->setToolTip(tr("Packs everything onto a length of each stock, with its grain along the bolt"));
  set_kind(button_, "soft");
  column->addWidget(button_);
  connect(button_, &QPushButton::clicked, this, [this] {
    if (stop_) {
      stop();
      update();
    } else {
      workOut();
    }
  });
  connect(&desk_, &SheetDesk::changed, this, &BoltCard::update);
  connect(&session_, &Session::shown, this, &BoltCard::update);
  stop();
  update();
}

BoltCard::~BoltCard() {
  if (stop_) *stop_ = true;
}

void BoltCard::stop() {
  if (stop_) *stop_ = true, stop_.reset();
  button_->setText(tr("How much to buy"));
}

void BoltCard::update() {
  for (auto* field : {wide_, web_}) field->setValue(field->value(), session_.project().unit);
  // What was worked out for another layout is not said any more.
  if (stop_ || (for_ && for_ == desk_.shown())) return;
  for_.reset();
  text_->clear();
  text_->hide();
}

void BoltCard::workOut() {
  const auto derived = desk_.shown();
  QuantityOptions options;
  options.wide_mm = wide_->value();
  options.copies = static_cast<int>(std::round(copies_->value()));
  options.layers = static_cast<int>(std::round(layers_->value()));
  options.gap_mm = derived->project.laying.gap_mm;
  QuantityOptions web = options;
  web.wide_mm = web_->value(), web.fused_only = true, web.layers = 1, web.shrinks = 0;
  stop_ = std::make_shared<std::atomic<bool>>(false);
  button_->setText(tr("Stop packing"));
  text_->setText(tr("Packing…"));
  text_->show();
  session_.aside(
      [self = QPointer<BoltCard>(this), derived, options, web, stop = stop_]() -> std::function<void()> {
        QStringList lines;
        std::set<std::string> stocks;
        for (const auto& part : derived->layout.parts) stocks.insert(part.stock);
        const LengthUnit unit = derived->project.unit;
        for (const auto& stock : derived->project.stocks) {
          if (!stocks.contains(stock.id)) continue;
          const auto say = [&](const QuantityOptions& how, const QString& what) {
            const Quantity q = quantity_of(derived->project, derived->drawing, derived->layout, stock.id, how,
                                           [&stop] { return stop->load(); });
            if (q.parts == 0) return;
            QString line = tr("%1: %2 long").arg(what, length_text(q.length_mm, unit));
            line += QStringLiteral(", ") + counted(q.parts, tr("part"), tr("parts"));
            if (q.piles < q.parts) line += tr(" in %1").arg(counted(q.piles, tr("cut"), tr("cuts")));
            line += tr(", %1 % used").arg(QLocale().toString(100 * q.used, 'f', 0));
            if (q.too_wide > 0) line += tr("; %1 too wide").arg(counted(q.too_wide, tr("part is"), tr("parts are")));
            lines << line;
          };
          say(options, qs(stock.name));
          say(web, tr("Fusible web for %1").arg(qs(stock.name)));
        }
        return [self, derived, stop, text = lines.join(QChar('\n'))] {
          if (!self || self->stop_ != stop) return;
          self->stop();
          self->for_ = derived;
          self->text_->setText(text.isEmpty() ? tr("There are no parts.") : text);
          self->update();
        };
      },
      0,
      [self = QPointer<BoltCard>(this)] {
        if (self) self->stop(), self->update();
      });
}

}  // namespace dotlane
