#include "app/panels/sheets_panel.hpp"

#include <QCheckBox>
#include <QHBoxLayout>
#include <QLocale>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/project/presets.hpp"

namespace dotlane {
namespace {

constexpr double kPackSeconds = 10;  // longer finds little more

}  // namespace

SheetsPanel::SheetsPanel(Session& session, QWidget* parent)
    : Panel(tr("Sheets"), parent), session_(session), packing_(session) {
  setObjectName(QStringLiteral("sheetsPanel"));
  sheets_ = new QVBoxLayout;
  sheets_->setSpacing(8);
  addPacking();
  column()->addWidget(make_line(body()));
  column()->addLayout(sheets_);
  column()->addWidget(make_line(body()));

  auto* form = addForm(tr("Machine"));
  mat_ = new QComboBox(body());
  mat_->setObjectName(QStringLiteral("matBox"));
  mat_->setAccessibleName(tr("Mat"));
  for (const auto& mat : preset_mats()) mat_->addItem(qs(mat.name));
  holders_ = new QComboBox(body());
  holders_->setAccessibleName(tr("Holders"));
  holders_->setObjectName(QStringLiteral("holdersBox"));
  holders_->addItems({tr("one holder"), tr("two holders"), tr("three holders"), tr("four holders")});
  form->addRow(make_label(tr("mat"), "quiet", body()), mat_);
  form->addRow(make_label(tr("holders"), "quiet", body()), holders_);
  auto field = [&](const QString& label, const QString& name, NumberField::Kind kind, const QString& unit,
                   double Machine::*member, double low, double high, int decimals = -1) {
    auto* f = new NumberField(name, kind, body(), unit, decimals);
    f->setRange(low, high);
    form->addRow(make_label(label, "quiet", body()), f);
    connect(f, &NumberField::edited, this, [this, label, member](double v) {
      editMachine(tr("Change the machine: %1").arg(label), "machine-" + label.toStdString(),
                  [&](Machine& m) { m.*member = v; });
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  using Kind = NumberField::Kind;
  border_ = field(tr("border kept clear"), tr("Border kept clear on every side"), Kind::length, {}, &Machine::border_mm,
                  0, 100);
  rated_ = field(tr("rated thickness"), tr("Thickest stock the machine is rated for"), Kind::length, {},
                 &Machine::rated_thickness_mm, 0, 20, 2);
  force_ = field(tr("most force"), tr("Most force the machine gives"), Kind::plain, tr("gf"), &Machine::max_force_gf, 1,
                 5000);
  travel_ = field(tr("travel speed"), tr("Speed with the tool up"), Kind::length, tr("/s"), &Machine::travel_mm_s, 1,
                  2000, 0);
  accel_ = field(tr("acceleration"), tr("Acceleration of the head"), Kind::length, tr("/s²"), &Machine::accel_mm_s2, 10,
                 50000, 0);
  lift_ = field(tr("lift or lower"), tr("Time to lift or lower the tool"), Kind::plain, tr("s"), &Machine::lift_s, 0,
                10, 2);
  swap_ = field(tr("one swap by hand"), tr("Time for one tool swap by hand"), Kind::plain, tr("s"), &Machine::swap_s, 0,
                3600);
  landing_ = field(tr("landing error"), tr("How far off a tool lands after a lift, as a standard deviation"),
                   Kind::length, {}, &Machine::landing_mm, 0, 5, 2);
  connect(lift_, &NumberField::edited, this, [this](double v) {
    editMachine(tr("Change the machine: %1").arg(tr("lift or lower")), "machine-lift",
                [&](Machine& m) { m.lower_s = m.lift_s = v; });
  });
  connect(mat_, &QComboBox::activated, this, [this](int row) {
    editMachine(tr("Change the mat"), "", [&](Machine& m) { m.mat = preset_mats()[static_cast<std::size_t>(row)]; });
  });
  connect(holders_, &QComboBox::activated, this,
          [this](int row) { editMachine(tr("Change the holders"), "", [&](Machine& m) { m.holders = row + 1; }); });
  column()->addWidget(make_label(
      tr("The machine's manual and the material's data sheet come first. Do not go past the rated thickness or force."),
      "quiet", body()));
  column()->addStretch();
  connect(&session_, &Session::changed, this, &SheetsPanel::update);
  update();
}

void SheetsPanel::addPacking() {
  auto* form = addForm(tr("Laid out"));
  gap_ = new NumberField(tr("Gap between parts"), NumberField::Kind::length, body());
  gap_->setRange(0, 50);
  gap_->setValue(2);
  turns_ = new QComboBox(body());
  turns_->setObjectName(QStringLiteral("turnsBox"));
  turns_->setAccessibleName(tr("How parts may be turned"));
  set_kind(turns_, "boxed");
  for (const auto& [text, step] : {std::pair{tr("any way, in steps of 15°"), 15.0},
                                   {tr("by quarter turns"), 90.0},
                                   {tr("upside down"), 180.0},
                                   {tr("not at all"), 0.0}})
    turns_->addItem(text, step);
  form->addRow(make_label(tr("gap"), "quiet", body()), gap_);
  form->addRow(make_label(tr("turned"), "quiet", body()), turns_);
  packed_ = make_label({}, "body", body());
  packed_->setObjectName(QStringLiteral("packedText"));
  column()->addWidget(packed_);
  auto* row = new QHBoxLayout;
  pack_ = new QPushButton(body());
  pack_->setObjectName(QStringLiteral("packParts"));
  set_kind(pack_, "soft");
  as_drawn_ = new QPushButton(tr("As drawn"), body());
  as_drawn_->setObjectName(QStringLiteral("layAsDrawn"));
  as_drawn_->setToolTip(tr("Every part lies on its sheet as it stands in the figure"));
  set_kind(as_drawn_, "pill");
  row->addWidget(pack_, 1);
  row->addWidget(as_drawn_);
  column()->addLayout(row);
  connect(pack_, &QPushButton::clicked, this, [this] {
    if (packing_.running()) return packing_.enough();
    NestOptions options;
    options.gap_mm = gap_->value();
    options.turns = turns_in_steps(turns_->currentData().toDouble());
    packing_.start(options, kPackSeconds);
  });
  connect(as_drawn_, &QPushButton::clicked, this,
          [this] { session_.commit(lay_as_drawn(session_.project()), tr("Lay everything as drawn")); });
  connect(&packing_, &PackRun::changed, this, &SheetsPanel::showPacking);
  connect(&session_, &Session::derivedChanged, this, &SheetsPanel::update);
}

void SheetsPanel::showPacking() {
  const bool running = packing_.running();
  pack_->setText(running ? tr("Good enough") : tr("Pack the parts"));
  pack_->setEnabled(running || !session_.project().pieces.empty());
  const Layout& layout = session_.derived().layout;
  const bool drawn =
      std::all_of(layout.laid.begin(), layout.laid.end(), [](const LaidPart& part) { return part.drawn; });
  as_drawn_->setEnabled(!running && !drawn);
  const auto waiting =
      std::count_if(layout.laid.begin(), layout.laid.end(), [](const LaidPart& part) { return part.sheet == 0; });
  QString text = layout.parts.empty() ? tr("A part appears for everything that comes off a sheet as one.")
                 : drawn              ? tr("%1, as drawn.").arg(counted(layout.laid.size(), tr("part"), tr("parts")))
                         : tr("%1, each in its own place.").arg(counted(layout.laid.size(), tr("part"), tr("parts")));
  if (waiting > 0)
    text += QStringLiteral(" ") + tr("%1 waiting: larger than any sheet, or the shelf is used up.").arg(waiting);
  if (running) {
    text = packing_.sheets() == 0 ? tr("Packing…")
                                  : tr("So far %1, filled to %2 %.")
                                        .arg(counted(packing_.sheets(), tr("sheet"), tr("sheets")))
                                        .arg(QLocale().toString(100 * packing_.density(), 'f', 0));
  }
  packed_->setText(text);
}

void SheetsPanel::editMachine(const QString& label, const std::string& key,
                              const std::function<void(Machine&)>& change) {
  Project next = session_.project();
  change(next.machine);
  session_.commit(std::move(next), label, key);
}

void SheetsPanel::update() {
  const Project& project = session_.project();
  gap_->setValue(gap_->value(), project.unit);
  showPacking();
  const Machine& m = project.machine;
  std::string shape;
  for (const auto& sheet : project.sheets) shape += std::to_string(sheet.id) + sheet.stock + ";";
  if (shape != shape_ || (project.sheets.empty() && sheets_->count() == 0)) {
    shape_ = shape;
    clear(sheets_);
    refresh_.clear();
    if (project.sheets.empty()) {
      sheets_->addWidget(make_label(tr("A sheet appears here for every stock that pieces are on."), "quiet", body()));
    }
    for (const auto& s : project.sheets) {
      const int id = s.id;
      const std::string stock_id = s.stock;
      auto* card = new QFrame(body());
      set_kind(card, "card");
      auto* box = new QVBoxLayout(card);
      box->setContentsMargins(12, 8, 12, 8);
      box->setSpacing(2);
      auto* head = new QHBoxLayout;
      auto* swatch = new QLabel(card);
      auto* name = make_label({}, "name", card);
      head->addWidget(swatch);
      head->addWidget(name, 1);
      box->addLayout(head);
      auto* form = new QFormLayout;
      form->setVerticalSpacing(0);
      form->setHorizontalSpacing(10);
      box->addLayout(form);
      auto sheet_now = [this, id]() -> const Sheet* {
        for (const auto& x : session_.project().sheets) {
          if (x.id == id) return &x;
        }
        return nullptr;
      };
      auto edit_sheet = [this, id](const QString& label, const std::string& key,
                                   const std::function<void(Sheet&)>& change) {
        Project next = session_.project();
        for (auto& x : next.sheets) {
          if (x.id == id) change(x);
        }
        session_.commit(std::move(next), label, key + std::to_string(id));
      };
      auto length = [&](const QString& label, const QString& long_name, auto get, auto set, double low) {
        auto* f = new NumberField(long_name, NumberField::Kind::length, card);
        f->setRange(low, 5000);
        form->addRow(make_label(label, "quiet", card), f);
        connect(f, &NumberField::edited, this, [edit_sheet, set, long_name](double v) {
          edit_sheet(long_name, long_name.toStdString(), [&](Sheet& x) { set(x, v); });
        });
        connect(f, &NumberField::committed, &session_, &Session::seal);
        refresh_.push_back([this, f, get, sheet_now] {
          if (const Sheet* x = sheet_now()) f->setValue(get(*x), session_.project().unit);
        });
      };
      length(
          tr("sheet width"), tr("Sheet width"), [](const Sheet& x) { return x.area.width(); },
          [](Sheet& x, double v) { x.area.x1 = x.area.x0 + v; }, 1);
      length(
          tr("sheet height"), tr("Sheet height"), [](const Sheet& x) { return x.area.height(); },
          [](Sheet& x, double v) { x.area.y1 = x.area.y0 + v; }, 1);
      length(
          tr("from left"), tr("Sheet from the left edge of the mat"), [](const Sheet& x) { return x.area.x0; },
          [](Sheet& x, double v) { x.area.x1 += v - x.area.x0, x.area.x0 = v; }, 0);
      length(
          tr("from top"), tr("Sheet from the top edge of the mat"), [](const Sheet& x) { return x.area.y0; },
          [](Sheet& x, double v) { x.area.y1 += v - x.area.y0, x.area.y0 = v; }, 0);
      auto* load = new NumberField(tr("Mat load the sheet is on"), NumberField::Kind::plain, card);
      load->setRange(1, 99);
      form->addRow(make_label(tr("mat load"), "quiet", card), load);
      connect(load, &NumberField::edited, this, [edit_sheet](double v) {
        edit_sheet(tr("Change the mat load"), "load", [&](Sheet& x) { x.load = static_cast<int>(v); });
      });
      connect(load, &NumberField::committed, &session_, &Session::seal);
      auto* thick = new NumberField(tr("Thickness of the stock"), NumberField::Kind::length, card, QString(), 2);
      thick->setRange(0, 20);
      auto* grammage = new NumberField(tr("Grammage of the stock"), NumberField::Kind::plain, card, tr("g/m²"));
      grammage->setRange(0, 2000);
      grammage->setZero(tr("not stated"));
      form->addRow(make_label(tr("thickness"), "quiet", card), thick);
      form->addRow(make_label(tr("grammage"), "quiet", card), grammage);
      auto* clear = new QCheckBox(tr("clear, seen through"), card);
      clear->setToolTip(tr("A mark on its back shows at its front; such a job is mirrored once"));
      clear->setObjectName(QStringLiteral("stockClear"));
      form->addRow(clear);
      connect(clear, &QCheckBox::clicked, this, [this, stock_id](bool on) {
        Project next = session_.project();
        for (auto& x : next.stocks) {
          if (x.id == stock_id) x.clear = on;
        }
        session_.commit(std::move(next), on ? tr("Make the stock clear") : tr("Make the stock opaque"));
      });
      auto edit_stock = [this, stock_id](const QString& label, const std::string& key, double Stock::*member,
                                         double v) {
        Project next = session_.project();
        for (auto& x : next.stocks) {
          if (x.id == stock_id) x.*member = v;
        }
        session_.commit(std::move(next), label, key);
      };
      connect(thick, &NumberField::edited, this,
              [edit_stock](double v) { edit_stock(tr("Change the thickness"), "thick", &Stock::thickness_mm, v); });
      connect(grammage, &NumberField::edited, this,
              [edit_stock](double v) { edit_stock(tr("Change the grammage"), "gsm", &Stock::grammage_gsm, v); });
      for (auto* f : {thick, grammage}) connect(f, &NumberField::committed, &session_, &Session::seal);
      refresh_.push_back([this, id, sheet_now, stock_id, swatch, name, load, thick, grammage, clear] {
        const Stock* stock = find_stock(session_.project(), stock_id);
        if (const Sheet* x = sheet_now()) load->setValue(x->load);
        if (!stock) return;
        swatch->setPixmap(swatch_icon(to_qcolor(stock->color)).pixmap(16, 16));
        const auto& laid = session_.derived().layout.laid;
        const auto n = std::count_if(laid.begin(), laid.end(), [&](const LaidPart& p) { return p.sheet == id; });
        name->setText(QStringLiteral("%1  ·  %2").arg(qs(stock->name), counted(n, tr("part"), tr("parts"))));
        thick->setValue(stock->thickness_mm, session_.project().unit);
        grammage->setValue(stock->grammage_gsm);
        clear->setChecked(stock->clear);
      });
      sheets_->addWidget(card);
    }
  }
  for (const auto& f : refresh_) f();
  setSubject(counted(project.sheets.size(), tr("sheet"), tr("sheets")));
  for (std::size_t i = 0; i < preset_mats().size(); ++i) {
    if (preset_mats()[i].width_mm == m.mat.width_mm && preset_mats()[i].height_mm == m.mat.height_mm)
      mat_->setCurrentIndex(static_cast<int>(i));
  }
  holders_->setCurrentIndex(m.holders - 1);
  border_->setValue(m.border_mm, project.unit);
  rated_->setValue(m.rated_thickness_mm, project.unit);
  force_->setValue(m.max_force_gf);
  travel_->setValue(m.travel_mm_s, project.unit);
  accel_->setValue(m.accel_mm_s2, project.unit);
  lift_->setValue(m.lift_s);
  landing_->setValue(m.landing_mm, project.unit);
  swap_->setValue(m.swap_s);
}

}  // namespace dotlane
