// What is printed before it is cut, by hand: said on the sheet's card, saved, rehearsed.
#include <QCheckBox>
#include <QFile>
#include <QRegularExpression>
#include <QScrollArea>

#include "core/job/off_print.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

struct Printing : Opened {
  Printing() : Opened(demo(QStringLiteral("lantern-badges"))) {}
  void clickBox(const char* name) {
    auto* box = find<QCheckBox>(name);
    for (QWidget* w = box->parentWidget(); w; w = w->parentWidget()) {
      if (auto* area = qobject_cast<QScrollArea*>(w)) area->ensureWidgetVisible(box);
    }
    QTest::qWait(1);
    dotlane::test::click(box);
    session().settle();
  }
  /// Whether a label that is on screen says this among other things.
  bool reads(const char* what) {
    for (auto* label : window.findChildren<QLabel*>()) {
      if (label->isVisible() && label->text().contains(QLatin1String(what))) return true;
    }
    return false;
  }
  const Finding* finding(const char* code) {
    for (const auto& f : session().derived().findings) {
      if (f.code == code) return &f;
    }
    return nullptr;
  }
};

}  // namespace

TEST_CASE("a sheet is printed or not by its card, Second look asks where it is not, and its answer prints it") {
  Printing o;
  o.stage(Stage::sheets);
  CHECK(o.find<QCheckBox>("sheetPrinted")->isChecked());
  CHECK_FALSE(o.finding("print-missing"));
  o.clickBox("sheetPrinted");
  CHECK_FALSE(o.project().sheets[0].printed);
  REQUIRE(o.finding("print-missing"));
  o.click("secondLookPill");
  QPushButton* fix = nullptr;
  for (auto* button : o.window.findChildren<QPushButton*>()) {
    if (button->isVisible() && button->text() == "Print the sheet first") fix = button;
  }
  dotlane::test::click(fix);
  o.session().settle();
  CHECK(o.project().sheets[0].printed);
  CHECK_FALSE(o.finding("print-missing"));
  o.undo();
  CHECK_FALSE(o.project().sheets[0].printed);
  o.undo();
  CHECK(o.project().sheets[0].printed);
}

TEST_CASE("bleed is typed at Sheets, and a machine that finds no marks is told so by hand") {
  Printing o;
  o.stage(Stage::sheets);
  for (auto* field : o.window.findChildren<NumberField*>()) {
    if (!field->isVisible() || field->editor()->accessibleName() != "How far print runs on beyond a cut") continue;
    type(field, "3.5");
  }
  o.session().settle();
  CHECK(o.project().laying.bleed_mm == Approx(3.5));
  const double before = o.session().derived().plan.seconds;
  o.clickBox("readsMarks");
  CHECK_FALSE(o.project().machine.reads_marks);
  CHECK(o.session().derived().plan.seconds < before);  // nothing looks for them
  REQUIRE(o.finding("print-by-hand"));
  o.stage(Stage::run);
  wait_for([&] { return o.reads("exactly in its place"); });
}

TEST_CASE("the print is saved from the run's first card, and the rehearsal cuts on it wherever it was laid") {
  Printing o;
  o.stage(Stage::run);
  o.answers.save = o.folder.filePath(QStringLiteral("badges.pdf"));
  o.click("savePrint");
  wait_for([&] { return QFile::exists(o.answers.save); });
  QFile file(o.answers.save);
  REQUIRE(file.open(QIODevice::ReadOnly));
  const QByteArray all = file.readAll();
  CHECK(all.startsWith("%PDF-"));
  CHECK(all.contains("/MediaBox [0 0 612.000000 792.000000]"));
  CHECK(o.window.findChild<Notice*>()->message().contains("Saved badges.pdf"));
  choose(o.find<QComboBox>("scaleBox"), 3);  // as fast as it can
  for (int run = 0; run < 2; ++run) {
    o.click("startRun");
    wait_for([&] { return o.window.run().state() == RunController::State::over; });
    REQUIRE(o.window.run().record().outcome == Outcome::done);
    REQUIRE(o.window.run().record().registrations.size() == 1);
    const auto& derived = o.session().derived();
    REQUIRE(o.window.run().lies().size() == 1);
    const auto& [sheet, placement] = *o.window.run().lies().begin();
    CHECK_FALSE(placement == Affine{});
    const PrintedSheet printed{sheet, 1, placement, {}, {}};
    const OffPrint off = off_print(derived.plan, o.window.run().record(), printed, derived.layout.sheet(sheet)->area);
    CHECK(off.most_mm < 0.1);
    CHECK(off.marked_mm > 1800);
    wait_for([&] { return o.reads("its marks agree"); });
    // The bench shows the print where it lies: the middle of a badge's lantern, which is amber.
    const Part& badge = derived.layout.parts[0];
    o.bench().finishPainting();
    const QImage image = o.bench().grab().toImage();
    const QPointF at = o.bench().view().to_px(placement(derived.layout.laid[0].map(badge.centre)));
    const QColor seen =
        image.pixelColor((at * image.devicePixelRatio()).toPoint());  // the plan's lines lie over it, faintly
    CHECK(std::abs(seen.red() - 0xf2) + std::abs(seen.green() - 0xb6) + std::abs(seen.blue() - 0x32) < 40);
    o.click("clearRun");
  }
}

TEST_CASE("numbers of parts are drawn from the Make panel, in a pass of their own that the lanes name") {
  Opened o(demo(QStringLiteral("wading-heron")));
  o.stage(Stage::make);
  o.session().settle();
  const std::size_t passes = o.session().derived().plan.passes.size();
  auto* box = o.find<QComboBox>("makeNumbers");
  choose(box, QStringLiteral("pen-black"));
  o.session().settle();
  CHECK(o.project().laying.number_tool == "pen-black");
  std::size_t numbers = 0;
  for (const auto& pass : o.session().derived().plan.passes) numbers += pass.numbers ? 1 : 0;
  CHECK(numbers > 0);
  CHECK(o.session().derived().plan.passes.size() == passes + numbers);
  // What they cost is told beside the stages.
  CHECK(o.find<QLabel>("editCost")->text().contains("pause"));
  // Clicking a number in the rehearsal's bench selects nothing that is not there.
  o.stage(Stage::passes);
  const auto& sheet = o.session().derived().layout.sheets.front();
  REQUIRE(sheet.pieces.front().drawn->piece->id == kNumbersPiece);
  const Vec on = sheet.pieces.front().drawn->course(0, 0).points.front();
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.bench().view().to_px(on).toPoint());
  for (const auto& ref : o.session().selection()) CHECK(ref.piece != kNumbersPiece);
  o.undo();
  CHECK(o.session().derived().plan.passes.size() == passes);
}
