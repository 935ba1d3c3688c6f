#include "app/figure/size_sheet.hpp"

#include <QApplication>
#include <QHBoxLayout>
#include <QLocale>
#include <QPointer>
#include <QThreadPool>
#include <QVBoxLayout>
#include <algorithm>
#include <cmath>
#include <utility>

#include "app/figure/size_chart.hpp"
#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

constexpr std::size_t kPoints = 33;

}  // namespace

SizeSheet::SizeSheet(Session& session, QWidget* parent)
    : QDialog(parent), session_(session), asked_(session.project()) {
  setWindowTitle(tr("How big may it be?"));
  setObjectName(QStringLiteral("sizeSheet"));
  set_help(this, "draft");
  setAttribute(Qt::WA_DeleteOnClose);
  setModal(true);
  resize(620, 470);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(20, 18, 20, 18);
  column->setSpacing(10);
  auto* row = new QHBoxLayout;
  row->addWidget(make_label(tr("Lower layers"), "quiet", this));
  schools_box_ = new QComboBox(this);
  schools_box_->setObjectName(QStringLiteral("schoolBox"));
  schools_box_->setAccessibleName(tr("Lower layers whole, or trimmed where others lie on them"));
  schools_box_->addItem(tr("whole, easy to align"));
  row->addWidget(schools_box_);
  row->addStretch(1);
  column->addLayout(row);
  answer_ = make_label(tr("Parts are being tried in all turns…"), "", this);
  answer_->setObjectName(QStringLiteral("sizeAnswer"));
  answer_->setWordWrap(true);
  column->addWidget(answer_);
  chart_ = new SizeChart(this);
  column->addWidget(chart_, 1);
  sheets_text_ = make_label({}, "quiet", this);
  sheets_text_->setObjectName(QStringLiteral("sizeSheets"));
  sheets_text_->setWordWrap(true);
  column->addWidget(sheets_text_);
  row = new QHBoxLayout;
  row->addWidget(make_label(tr("The largest for"), "quiet", this));
  sheets_ = new NumberField(tr("So many sheets at most"), NumberField::Kind::plain, this);
  sheets_->setObjectName(QStringLiteral("sheetsAtMost"));
  sheets_->setRange(1, 500);
  sheets_->setFixedWidth(78);
  row->addWidget(sheets_);
  row->addWidget(make_label(tr("sheets in all"), "quiet", this));
  row->addStretch(1);
  auto* close = new QPushButton(tr("Leave it"), this);
  set_kind(close, "pill");
  size_ = new QPushButton(tr("Size it so"), this);
  size_->setObjectName(QStringLiteral("sizeItSo"));
  set_kind(size_, "primary");
  for (auto* button : {close, size_}) button->setAutoDefault(false);  // Enter in the field is the field's
  size_->setEnabled(false);
  row->addWidget(close);
  row->addWidget(size_);
  column->addLayout(row);
  connect(close, &QPushButton::clicked, this, &QDialog::reject);
  connect(size_, &QPushButton::clicked, this, [this] {
    emit sizeAsked(asked_, chosen_, school() && school()->trimmed);
    accept();
  });
  connect(chart_, &SizeChart::picked, this, &SizeSheet::choose);
  connect(schools_box_, &QComboBox::activated, this, [this] { showSchool(); });
  connect(sheets_, &NumberField::edited, this, [this](double v) { typed_ = static_cast<std::size_t>(std::lround(v)); });
  connect(sheets_, &NumberField::committed, this, [this] {
    if (const auto typed = std::exchange(typed_, std::nullopt)) chooseFor(*typed);
  });
  workOut();
}

// What is being worked out ends by itself soon after, and finds nobody to tell.
SizeSheet::~SizeSheet() { *stop_ = true; }

void SizeSheet::aside(std::function<void(const Tell&)> work) {
  const Tell tell = [self = QPointer<SizeSheet>(this)](std::function<void(SizeSheet&)> what) {
    QMetaObject::invokeMethod(
        qApp,
        [self, what = std::move(what)] {
          if (self) what(*self);
        },
        Qt::QueuedConnection);
  };
  QThreadPool::globalInstance()->start([work = std::move(work), tell] {
    try {
      work(tell);
    } catch (const std::exception& e) {
      tell([what = QString::fromUtf8(e.what())](SizeSheet& sheet) {
        sheet.answer_->setText(tr("This could not be worked out: %1.").arg(what));
      });
    }
  });
}

const School* SizeSheet::school() const {
  const auto at = static_cast<std::size_t>(schools_box_->currentIndex());
  return schools_ && at < schools_->size() ? &(*schools_)[at] : nullptr;
}

void SizeSheet::workOut() {
  aside([stop = stop_, project = asked_](const Tell& tell) {
    const auto stopped = [stop] { return stop->load(); };
    DrawingCache cache;
    const auto schools = std::make_shared<const std::vector<School>>(schools_of(project, cache));
    tell([schools](SizeSheet& sheet) {
      sheet.schools_ = schools;
      sheet.points_.resize(schools->size());
      if (schools->size() > 1) sheet.schools_box_->addItem(tr("trimmed where others lie on them"));
      sheet.showSchool();
    });
    for (std::size_t s = 0; s < schools->size(); ++s) {
      const auto point_there = [&tell, s](const SizePoint& point) {
        tell([s, point](SizeSheet& sheet) {
          sheet.add(s, point);
          sheet.showSchool();
        });
      };
      size_curve((*schools)[s], kPoints, point_there, stopped);
    }
  });
}

void SizeSheet::add(std::size_t school, const SizePoint& point) {
  auto& all = points_[school];
  const auto smaller = [](const SizePoint& a, const SizePoint& b) { return a.scale < b.scale; };
  all.insert(std::upper_bound(all.begin(), all.end(), point, smaller), point);
}

void SizeSheet::showSchool() {
  const School* now = school();
  if (!now) return;
  if (now->big.part == npos) return answer_->setText(tr("There is no part yet whose size could be asked for."));
  const auto at = static_cast<std::size_t>(schools_box_->currentIndex());
  chart_->show(now->project, points_[at], told_scale(now->big.scale), now->big.figure.height());
  if (chosen_ <= 0 || chosen_ > now->big.scale) choose(told_scale(now->big.scale));
  say();
}

void SizeSheet::choose(double scale) {
  const School* now = school();
  if (!now) return;
  chosen_ = std::min(scale, told_scale(now->big.scale));
  chart_->choose(chosen_);
  size_->setEnabled(chosen_ > 0);
  say();
}

void SizeSheet::say() {
  const School* now = school();
  if (!now || now->big.part == npos) return;
  const LengthUnit unit = now->project.unit;
  const auto sized = [&](double scale) {
    const Box& b = now->big.figure;
    return size_text(Box::of(0, 0, b.width() * scale, b.height() * scale), unit) + QChar(0xA0) + unit_word(unit);
  };
  const double most = told_scale(now->big.scale);
  answer_->setText(tr("At most %1, %2 % of its size today: %3 stops it, turned by %4°.")
                       .arg(sized(most), QLocale().toString(100 * most, 'f', 1),
                            qs(now->layout.parts[now->big.part].name), QLocale().toString(now->big.turn, 'f', 1)));
  if (trying_) return sheets_text_->setText(tr("Sizes are being tried…"));
  const auto at = static_cast<std::size_t>(schools_box_->currentIndex());
  QString text = tr("Chosen: %1.").arg(sized(chosen_));
  for (const auto& point : points_[at]) {
    if (point.scale < chosen_ - 0.0011) continue;
    if (!typed_) sheets_->setValue(static_cast<double>(point.total()));
    QStringList list;
    for (const auto& [id, n] : point.sheets) {
      const Stock* stock = find_stock(now->project, id);
      list << tr("%1 of %2").arg(QLocale().toString(static_cast<qulonglong>(n)), stock ? qs(stock->name) : qs(id));
    }
    text +=
        QLatin1Char(' ') + tr("That takes %1 at most: %2.")
                               .arg(counted(point.total(), tr("sheet"), tr("sheets")), list.join(QStringLiteral(", ")));
    break;
  }
  sheets_text_->setText(text);
}

void SizeSheet::chooseFor(std::size_t sheets) {
  if (!school() || sheets < 1 || trying_) return;
  trying_ = true;
  say();
  aside([stop = stop_, schools = schools_, at = static_cast<std::size_t>(schools_box_->currentIndex()),
         sheets](const Tell& tell) {
    const auto found = largest_for((*schools)[at], sheets, [stop] { return stop->load(); });
    tell([found, sheets, at](SizeSheet& sheet) {
      sheet.trying_ = false;
      if (found) {
        sheet.add(at, *found);
        return sheet.choose(told_scale(found->scale));
      }
      sheet.sheets_text_->setText(
          tr("Even a quarter of that size takes more than %1.").arg(counted(sheets, tr("sheet"), tr("sheets"))));
    });
  });
}

}  // namespace dotlane
