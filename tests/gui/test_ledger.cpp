// The ledger by hand: hiding, locking, renaming, dragging, finding; looking under the top layer.
#include <QLineEdit>

#include "app/ledger/ledger_tree.hpp"
#include "core/plan/plan.hpp"
#include "core/shape/evaluate.hpp"
#include "core/shape/recipe_edit.hpp"
#include "driving.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

struct Book : Opened {
  using Opened::Opened;
  QTreeView* tree() { return find<QTreeView>("ledger"); }
  QModelIndex row(const std::string& name) {
    const auto* model = tree()->model();
    for (int i = 0; i < model->rowCount({}); ++i) {
      const QModelIndex at = model->index(i, 0, {});
      if (at.data(LedgerModel::KindRole).toInt() == LedgerModel::piece_row &&
          at.data().toString().toStdString() == name)
        return at;
    }
    return {};
  }
  QModelIndex group_row(const std::string& name) {
    const auto* model = tree()->model();
    for (int i = 0; i < model->rowCount({}); ++i) {
      const QModelIndex at = model->index(i, 0, {});
      if (at.data(LedgerModel::GroupRole).toString().toStdString() == name) return at;
    }
    return {};
  }
  QModelIndex stock_row(const std::string& id) {
    const auto* model = tree()->model();
    for (int i = 0; i < model->rowCount({}); ++i) {
      const QModelIndex at = model->index(i, 0, {});
      if (at.data(LedgerModel::StockRole).toString().toStdString() == id) return at;
    }
    return {};
  }
  QRect rect(const QModelIndex& at) {
    REQUIRE(at.isValid());
    tree()->scrollTo(at);
    QRect out = tree()->visualRect(at);
    out.setLeft(0);
    return out;
  }
  void click_at(QPoint at, Qt::KeyboardModifiers keys = Qt::NoModifier) {
    QTest::mouseClick(tree()->viewport(), Qt::LeftButton, keys, at);
    session().settle();
  }
  void eye(const std::string& name) { click_at(eye_place(rect(row(name)), LedgerModel::piece_row).center()); }
  void lock(const std::string& name) { click_at(lock_place(rect(row(name)), LedgerModel::piece_row).center()); }
  /// Drags a row to a share of another one's height.
  void put(const std::string& name, const QModelIndex& onto, double share) {
    const QPoint from = rect(row(name)).center();
    const QRect to = rect(onto);
    test::drag(tree()->viewport(), from, QPoint(to.center().x(), to.top() + static_cast<int>(share * to.height())));
    session().settle();
  }
  std::vector<std::string> names() {
    std::vector<std::string> out;
    for (const auto& piece : project().pieces) out.push_back(piece->name);
    return out;
  }
};

double cut_of(const Project& p) {
  DrawingCache cache;
  double mm = 0;
  for (const auto& pass : derive(p, cache).plan.passes) mm += pass.length_mm;
  return mm;
}

}  // namespace

TEST_CASE("an eye hides a piece from the bench but not from the run, and the top bar says how many are hidden") {
  Book o;
  const double all = cut_of(o.project());
  const Box cliff = o.bounds("Cliff");
  o.eye("Cliff");
  CHECK(o.piece("Cliff").hidden);
  CHECK(o.find<QAbstractButton>("stage0")->accessibleDescription().contains(QStringLiteral("1 hidden of 5")));
  CHECK(cut_of(o.project()) == Approx(all));
  CHECK(std::any_of(o.session().derived().findings.begin(), o.session().derived().findings.end(),
                    [](const Finding& f) { return f.code == "hidden-runs"; }));
  // A click where it was takes nothing, a band passes it by.
  o.press(Qt::Key_Escape);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(cliff.centre().x, cliff.centre().y));
  CHECK(o.session().selection().empty());
  drag(&o.bench(), o.at(cliff.x0 - 4, cliff.y0 - 4), o.at(cliff.x1 + 4, cliff.y1 + 4));
  CHECK(o.session().selection().empty());
  // Told so, it is not run; taking everything in again brings it back.
  o.pick("Cliff");
  run(o, "piece-not-now");
  CHECK(o.piece("Cliff").not_now);
  CHECK(cut_of(o.project()) < all - 10);
  run(o, "run-everything");
  CHECK(cut_of(o.project()) == Approx(all));
  run(o, "show-all");
  CHECK_FALSE(o.piece("Cliff").hidden);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, o.at(cliff.centre().x, cliff.centre().y));
  CHECK(o.session().selectedPieces() == std::vector<int>{o.piece("Cliff").id});
  // A whole stock by its heading.
  o.click_at(eye_place(o.rect(o.stock_row(o.piece("Cliff").stock)), LedgerModel::stock_row).center());
  CHECK(o.piece("Cliff").hidden);
  CHECK(o.piece("Lighthouse").hidden);
  CHECK_FALSE(o.piece("Greeting").hidden);
  o.undo();
  CHECK_FALSE(o.piece("Lighthouse").hidden);
}

TEST_CASE("a locked piece cannot be taken hold of on the bench, nor nudged") {
  Book o;
  const Box cliff = o.bounds("Cliff");
  o.lock("Cliff");
  CHECK(o.piece("Cliff").locked);
  o.press(Qt::Key_Escape);
  drag(&o.bench(), o.at(cliff.centre().x, cliff.centre().y), o.at(cliff.centre().x, cliff.centre().y) - QPoint(50, 20));
  CHECK(o.bounds("Cliff") == cliff);
  o.pick("Cliff");
  o.table()->setFocus();
  QTest::keyClick(&o.bench(), Qt::Key_Left);
  CHECK(o.bounds("Cliff") == cliff);
  run(o, "select-all");
  CHECK(o.session().selectedPieces().size() == 4);
  run(o, "unlock-all");
  o.pick("Cliff");
  o.table()->setFocus();
  QTest::keyClick(&o.bench(), Qt::Key_Left);
  o.session().settle();
  CHECK(o.bounds("Cliff").x0 < cliff.x0);
}

TEST_CASE("names are written over in place, by a double click or by keys") {
  Book o;
  const QRect row = o.rect(o.row("Cliff"));
  QTest::mouseDClick(o.tree()->viewport(), Qt::LeftButton, {}, name_place(row, LedgerModel::piece_row).center());
  auto* line = o.find<QLineEdit>("ledgerName");
  REQUIRE(line->isVisible());
  line->selectAll();
  QTest::keyClicks(line, QStringLiteral("Headland"));
  QTest::keyClick(line, Qt::Key_Return);
  o.session().settle();
  CHECK(o.piece("Headland").id > 0);
  o.undo();
  CHECK(o.piece("Cliff").id > 0);
  o.pick("Lighthouse");
  run(o, "rename");
  line = o.find<QLineEdit>("ledgerName");
  QTest::keyClicks(line, QStringLiteral("not this"));
  QTest::keyClick(line, Qt::Key_Escape);
  CHECK(o.piece("Lighthouse").id > 0);
}

TEST_CASE("rows are dragged to another layer, into a group and onto another stock, each one step to undo") {
  Book o;
  const auto before = o.names();
  REQUIRE(before == std::vector<std::string>{"Greeting", "Card base", "Lighthouse", "Cliff", "Wave border"});
  o.put("Wave border", o.row("Lighthouse"), 0.1);
  CHECK(o.names() == std::vector<std::string>{"Greeting", "Card base", "Wave border", "Lighthouse", "Cliff"});
  o.undo();
  CHECK(o.names() == before);
  o.put("Lighthouse", o.row("Wave border"), 0.95);
  CHECK(o.names() == std::vector<std::string>{"Greeting", "Card base", "Cliff", "Wave border", "Lighthouse"});
  o.undo();
  o.put("Wave border", o.row("Cliff"), 0.5);
  CHECK_FALSE(o.piece("Cliff").group.empty());
  CHECK(o.piece("Cliff").group == o.piece("Wave border").group);
  CHECK(o.piece("Lighthouse").group.empty());
  // A third one into the same group, then out of it again, above all.
  o.put("Lighthouse", o.row("Cliff"), 0.5);
  CHECK(o.piece("Lighthouse").group == o.piece("Cliff").group);
  o.put("Lighthouse", o.stock_row(o.piece("Cliff").stock), 0.5);
  CHECK(o.piece("Lighthouse").group.empty());
  o.undo(), o.undo(), o.undo();
  const std::string cloud = o.piece("Greeting").stock;
  o.put("Cliff", o.stock_row(cloud), 0.5);
  CHECK(o.piece("Cliff").stock == cloud);
  CHECK(o.names().front() == "Cliff");
  o.undo();
  CHECK(o.names() == before);
  CHECK_FALSE(o.session().canUndo());
  // Several that are selected go together.
  o.pick({{o.piece("Cliff").id, ""}, {o.piece("Wave border").id, ""}});
  o.put("Wave border", o.stock_row(cloud), 0.5);
  CHECK(o.piece("Cliff").stock == cloud);
  CHECK(o.piece("Wave border").stock == cloud);
}

TEST_CASE("a group has a row of its own: it selects, hides, locks, renames and drags all of it") {
  Book o;
  CHECK_FALSE(o.group_row("Group").isValid());
  o.put("Wave border", o.row("Cliff"), 0.5);
  REQUIRE(o.group_row("Group").isValid());
  const int cliff = o.piece("Cliff").id, waves = o.piece("Wave border").id;
  const std::vector<int> both{std::min(cliff, waves), std::max(cliff, waves)};
  o.click_at(o.rect(o.group_row("Group")).center());
  CHECK(o.session().selectedPieces() == both);
  // One of them taken off by hand: the other one stays.
  o.click_at(o.rect(o.row("Cliff")).center(), Qt::ControlModifier);
  CHECK(o.session().selectedPieces() == std::vector<int>{waves});
  // With the row both are there again; a plain click on one of these leaves that one alone.
  o.click_at(o.rect(o.group_row("Group")).center(), Qt::ControlModifier);
  CHECK(o.session().selectedPieces() == both);
  o.click_at(o.rect(o.row("Wave border")).center());
  CHECK(o.session().selectedPieces() == std::vector<int>{waves});
  const auto icon = [&](const auto& place) {
    o.click_at(place(o.rect(o.group_row("Group")), LedgerModel::group_row).center());
  };
  icon(eye_place);
  CHECK((o.piece("Cliff").hidden && o.piece("Wave border").hidden && !o.piece("Lighthouse").hidden));
  icon(eye_place);
  CHECK_FALSE((o.piece("Cliff").hidden || o.piece("Wave border").hidden));
  icon(lock_place);
  CHECK((o.piece("Cliff").locked && o.piece("Wave border").locked && !o.piece("Lighthouse").locked));
  icon(lock_place);
  // Another name, by a double click; by keys, too.
  const QRect row = o.rect(o.group_row("Group"));
  QTest::mouseDClick(o.tree()->viewport(), Qt::LeftButton, {}, name_place(row, LedgerModel::group_row).center());
  const auto write = [&](const char* name) {
    auto* line = o.find<QLineEdit>("ledgerName");
    REQUIRE(line->isVisible());
    line->selectAll();
    QTest::keyClicks(line, QString::fromLatin1(name));
    QTest::keyClick(line, Qt::Key_Return);
    o.session().settle();
  };
  write("Shore");
  CHECK(o.piece("Cliff").group == "Shore");
  o.click_at(o.rect(o.group_row("Shore")).center());
  run(o, "rename");
  write("Coast");
  CHECK(o.piece("Wave border").group == "Coast");
  // The row is dragged: the group goes as one and stays one. What is dropped on it goes into it, on top.
  const QRect coast = o.rect(o.group_row("Coast")), light = o.rect(o.row("Lighthouse"));
  drag(o.tree()->viewport(), coast.center(), QPoint(light.center().x(), light.top() + 4));
  o.session().settle();
  CHECK(o.names() == std::vector<std::string>{"Greeting", "Card base", "Cliff", "Wave border", "Lighthouse"});
  CHECK(o.piece("Cliff").group == "Coast");
  CHECK(o.piece("Lighthouse").group.empty());
  o.put("Lighthouse", o.group_row("Coast"), 0.5);
  CHECK(o.names() == std::vector<std::string>{"Greeting", "Card base", "Lighthouse", "Cliff", "Wave border"});
  CHECK(o.piece("Lighthouse").group == "Coast");
}

TEST_CASE("the ledger is narrowed down by name, role, tool, colour and size") {
  Book o;
  const auto shown = [&](const char* words) {
    run(o, "ledger-find");
    auto* find = o.find<QLineEdit>("ledgerFind");
    CHECK(find->hasFocus());
    type(find, QString::fromUtf8(words));
    std::set<std::string> out;
    for (const char* name : {"Greeting", "Card base", "Lighthouse", "Cliff", "Wave border"})
      if (o.row(name).isValid()) out.insert(name);
    return out;
  };
  using Names = std::set<std::string>;
  CHECK(shown("cli") == Names{"Cliff"});
  CHECK(shown("foil") == Names{"Lighthouse"});
  CHECK(shown("scoring tip") == Names{"Card base"});
  CHECK(shown("44x110") == Names{"Lighthouse"});
  CHECK(shown("night draw") == Names{"Lighthouse", "Cliff", "Wave border"});
  CHECK(shown("no such thing") == Names{});
  CHECK(shown("").size() == 5);
}

TEST_CASE("while U is held the top layer is an outline, and a click takes what lies under it") {
  Project p = new_project("under");
  int low = 0, high = 0;
  p = *add_shape(std::move(p), "star", {{"across", 120.0}}, &low);
  p = *add_shape(std::move(p), "rectangle", {{"width", 40.0}, {"height", 40.0}}, &high);
  DrawingCache cache;
  const Vec to = tight_bounds(*find_drawn(evaluate(p, cache), low)).centre();
  const Vec from = tight_bounds(*find_drawn(evaluate(p, cache), high)).centre();
  p = move_pieces(std::move(p), {high}, to - from);
  p = set_stock(p, high, p.stocks.back().id);
  Opened o(p);
  run(o, "stacked");
  o.bench().finishPainting();
  const QPoint middle = o.at(to.x, to.y);
  // A place on the star's material, away from lines.
  QTest::mouseMove(&o.bench(), middle);
  const auto color = [&] {
    o.bench().finishPainting();
    return o.bench().grab().toImage().pixelColor(middle + QPoint(5, 3));
  };
  const QColor covered = color();
  QTest::keyPress(&o.bench(), Qt::Key_U);
  const QColor under = color();
  CHECK(under != covered);
  QTest::mouseClick(&o.bench(), Qt::LeftButton, {}, middle);
  CHECK(o.session().selectedPieces() == std::vector<int>{low});
  QTest::keyRelease(&o.bench(), Qt::Key_U);
  wait_for([&] { return color() == covered; });
  // It is trimmed to what is hidden from it, and the next one below is reached by keys as well.
  run(o, "trim");
  CHECK_FALSE(find_piece(o.project(), low)->steps.empty());
  run(o, "next-below");
  CHECK(o.session().selectedPieces() == std::vector<int>{high});
  run(o, "next-below");
  CHECK(o.session().selectedPieces() == std::vector<int>{low});
}
