#include <sys/resource.h>
#include <unistd.h>

#include <csignal>
#include <filesystem>
#include <fstream>

#include "chance.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/geometry/measure.hpp"
#include "core/project/history.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::string temporary(const std::string& name) {
  const auto folder = std::filesystem::temp_directory_path() / ("dotlane-test-" + std::to_string(::getpid()));
  std::filesystem::create_directories(folder);
  return (folder / name).string();
}

}  // namespace

TEST_CASE("a project reads back equal and writes the same bytes") {
  const auto demo = load_project(std::string(DOTLANE_DEMO) + "/lighthouse-card.dotlane");
  REQUIRE(demo);
  const auto again = project_from_json(to_json(*demo), "again");
  REQUIRE(again);
  CHECK(*again == *demo);
  CHECK(to_json(*again) == to_json(*demo));
  CHECK(demo->pieces.size() == 5);
}

TEST_CASE("each thing said of machine, mat, stock, tool and run is kept when it is the only one said") {
  using Say = void (*)(Project&);
  static constexpr Say all[] = {
      [](Project& p) { p.machine.mat.tack = Tack::high; },
      [](Project& p) { p.machine.border_mm = 3; },
      [](Project& p) { p.machine.holders = 3; },
      [](Project& p) { p.machine.rated_thickness_mm = 3; },
      [](Project& p) { p.machine.max_force_gf = 90; },
      [](Project& p) { p.machine.travel_mm_s = 90; },
      [](Project& p) { p.machine.accel_mm_s2 = 900; },
      [](Project& p) { p.machine.jerk_mm_s3 = 9000; },
      [](Project& p) { p.machine.junction_deviation_mm = 0.5; },
      [](Project& p) { p.machine.lower_s = 0.5; },
      [](Project& p) { p.machine.lift_s = 0.5; },
      [](Project& p) { p.machine.landing_mm = 0.5; },
      [](Project& p) { p.machine.scale.x = 1.002; },
      [](Project& p) { p.machine.scale.y = 0.998; },
      [](Project& p) { p.machine.origin_mm.x = 0.4; },
      [](Project& p) { p.machine.origin_mm.y = -0.4; },
      [](Project& p) { p.machine.swap_s = 5; },
      [](Project& p) { p.machine.set_s = 5; },
      [](Project& p) { p.machine.sets_depth = true; },
      [](Project& p) {
        p.machine.takes = {{}, {ToolKind::pen}};
      },
      [](Project& p) { p.machine.bar_clears_mm = 5; },
      [](Project& p) { p.machine.bar_reaches_mm = 5; },
      [](Project& p) {
        p.machine.rollers_mm = {30, 72};
      },
      [](Project& p) { p.machine.roller_width_mm = 5; },
      [](Project& p) {
        p.machine.pace[Role::draw] = {1.2, 0.1};
      },
      [](Project& p) { p.stocks[0].shrinks_percent = 5; },
      [](Project& p) { p.stocks[0].clear = true; },
      [](Project& p) { p.stocks[0].takes_ink = false; },
      [](Project& p) { p.stocks[0].never_cut = true; },
      [](Project& p) { p.stocks[0].laid_out = LaidOut::packed; },
      [](Project& p) { p.stocks[0].grain = Grain::across; },
      [](Project& p) { p.tools[0].count = 5; },
      [](Project& p) { p.tools[0].dry_s = 5; },
      [](Project& p) { p.tools[0].trail_mm = 0.5; },
      [](Project& p) { p.tools[0].overcut_mm = 1; },
      [](Project& p) { p.tools[0].tip_mm.x = 1; },
      [](Project& p) { p.tools[0].tip_mm.y = -1; },
      [](Project& p) { p.tools[0].sits_deg = 90; },
      [](Project& p) { p.tools[0].transfers = true; },
      [](Project& p) { p.tools[0].lasts_m = 25; },
      [](Project& p) { p.tools[0].covers_mm = 0.35; },
      [](Project& p) { p.tools[0].price = 7.5; },
      [](Project& p) { p.plan.minute_price = 0.4; },
      [](Project& p) { p.stocks[0].settings[Role::cut].tabs = 3; },
      [](Project& p) { p.stocks[0].settings[Role::cut].tab_mm = 1; },
      [](Project& p) { p.stocks[0].settings[Role::cut].slowed.radius_mm = 3; },
      [](Project& p) { p.stocks[0].settings[Role::cut].slowed.speed_mm_s = 15; },
      [](Project& p) { p.tools[0].thickest_mm = 5; },
      [](Project& p) {
        p.plan.pins = {{1, "l0", 1}};
      },
      [](Project& p) {
        p.plan.loaded = {{}, {"pen-black", 0}};
      },
      [](Project& p) { p.plan.by_tool = true; },
      [](Project& p) { p.machine.reads_marks = false; },
      [](Project& p) { p.machine.mark_s = 9; },
      [](Project& p) { p.laying.bleed_mm = 3; },
      [](Project& p) { p.laying.top_first = true; },
      [](Project& p) { p.laying.number_tool = "pen-black"; },
      [](Project& p) {
        Sheet sheet;
        sheet.id = 1, sheet.stock = "paper", sheet.area = Box::of(0, 0, 200, 200), sheet.printed = true;
        p.sheets.push_back(sheet);
      },
      [](Project& p) { p.plan.outlines_last = true; },
      [](Project& p) { p.plan.mirrored = true; },
      [](Project& p) { p.plan.not_now = {"a key"}; },
      [](Project& p) { p.plan.roles_not_now = {Role::foil}; },
  };
  for (std::size_t i = 0; i < std::size(all); ++i) {
    CAPTURE(i);
    Project p = new_project("said");
    all[i](p);
    CHECK(p != new_project("said"));
    const auto again = project_from_json(to_json(p), "said.dotlane");
    REQUIRE(again);
    CHECK(*again == p);
  }
}

TEST_CASE("fields of a newer program survive load and save") {
  std::string text = to_json(four_inks());
  auto insert = [&](const std::string& before, const std::string& what) {
    const auto at = text.find(before);
    REQUIRE(at != std::string::npos);
    text.insert(at, what);
  };
  insert("\"version\": 2", "\"lantern\": {\"lit\": [1, 2]}, ");
  insert("\"id\": \"card\"", "\"glow\": 0.5, ");
  insert("\"aspect_locked\"", "\"recipe\": [{\"step\": \"from the future\"}], ");
  insert("\"border_mm\"", "\"laser\": true, ");
  const auto project = project_from_json(text, "newer.dotlane");
  if (!project) FAIL(line_of(project.error()));
  const std::string saved = to_json(*project);
  for (const char* kept : {"\"lantern\"", "\"glow\": 0.5", "from the future", "\"laser\": true"}) {
    INFO(kept);
    CHECK(saved.find(kept) != std::string::npos);
  }
  CHECK(*project_from_json(saved, "again") == *project);
}

TEST_CASE("a wrong field is named with its place") {
  std::string text = to_json(four_inks());
  text.replace(text.find("\"role\": \"cut\""), 13, "\"role\": \"saw\"");
  const auto project = project_from_json(text, "wrong.dotlane");
  REQUIRE_FALSE(project);
  CHECK(line_of(project.error()).find("wrong.dotlane: pieces[0].lines[0].role:") == 0);
}

TEST_CASE("a save that fails leaves the old file and no litter") {
  const std::string path = temporary("kept.dotlane");
  REQUIRE(save_project(four_inks(), path));
  const std::string before = *read_file(path);
  // The system refuses to write past this many bytes, as a full disk would.
  std::signal(SIGXFSZ, SIG_IGN);
  rlimit old{};
  getrlimit(RLIMIT_FSIZE, &old);
  for (const rlim_t room : {0u, 1u, 100u, 4000u}) {
    rlimit tight{room, old.rlim_max};
    setrlimit(RLIMIT_FSIZE, &tight);
    Project other = four_inks();
    other.name = "other";
    const auto saved = save_project(other, path);
    setrlimit(RLIMIT_FSIZE, &old);
    REQUIRE_FALSE(saved);
    CHECK(saved.error().place == path);
    CHECK(*read_file(path) == before);
  }
  int files = 0;
  for (const auto& entry : std::filesystem::directory_iterator(std::filesystem::path(path).parent_path())) {
    files += entry.path().filename().string().starts_with("kept.dotlane");
  }
  CHECK(files == 1);
}

TEST_CASE("saving keeps permissions and follows links") {
  const std::string path = temporary("real.dotlane"), link = temporary("link.dotlane");
  REQUIRE(write_file(path, "old"));
  std::filesystem::permissions(path, std::filesystem::perms::owner_read | std::filesystem::perms::owner_write);
  std::filesystem::remove(link);
  std::filesystem::create_symlink(path, link);
  REQUIRE(write_file(link, "new"));
  CHECK(*read_file(path) == "new");
  CHECK(std::filesystem::is_symlink(link));
  CHECK((std::filesystem::status(path).permissions() & std::filesystem::perms::others_read) ==
        std::filesystem::perms::none);
}

TEST_CASE("history: labels, merged drags, no empty entries, redo ends with a new edit") {
  History h(four_inks());
  const Project start = h.now();
  CHECK_FALSE(h.commit(start, "nothing"));
  h.commit(move_pieces(h.now(), {1}, {1, 0}), "Move", "drag-1");
  h.commit(move_pieces(h.now(), {1}, {1, 0}), "Move", "drag-1");
  h.commit(move_pieces(h.now(), {1}, {5, 0}), "Move", "drag-2");
  CHECK(h.undo_label() == "Move");
  h.undo();
  CHECK(h.now().pieces[0]->placement.e == Approx(2));
  h.undo();
  CHECK(h.now() == start);
  CHECK_FALSE(h.can_undo());
  h.redo();
  h.commit(rename_piece(h.now(), 1, "Roof"), "Rename");
  CHECK_FALSE(h.can_redo());
  for (int i = 0; i < 3000; ++i) h.commit(move_pieces(h.now(), {1}, {0.1, 0}), "Nudge");
  for (int i = 0; i < 3002; ++i) h.undo();
  CHECK(to_json(h.now()) == to_json(start));
}

TEST_CASE("history says at every step what a list of states would") {
  Chance chance(31);
  for (int round = 0; round < rounds(40); ++round) {
    INFO("round " << round);
    History h(four_inks());
    struct State {
      Project project;
      std::string key;
    };
    std::vector<State> states{{h.now(), ""}};
    std::size_t at = 0;
    for (int event = 0; event < 120; ++event) {
      switch (chance.whole(0, 4)) {
        case 0:
          if (h.can_undo()) h.undo(), --at, states[at].key.clear();
          break;
        case 1:
          if (h.can_redo()) h.redo(), ++at, states[at].key.clear();
          break;
        case 2:
          h.seal();
          states[at].key.clear();
          break;
        default: {
          const std::string key = chance.coin() ? "drag" : "";
          const Project next = move_pieces(h.now(), {1}, {chance.whole(0, 2) * 0.5, 0});
          const bool merges = !key.empty() && at > 0 && at + 1 == states.size() && states[at].key == key;
          CHECK(h.before(key) == (merges ? states[at - 1].project : states[at].project));
          const bool changes = !(next == states[at].project);
          CHECK(h.commit(next, "Move", key) == changes);
          if (!changes) break;
          states.resize(at + 1);
          if (merges) {
            states[at].project = next;
          } else {
            states.push_back({next, key}), ++at;
          }
        }
      }
      REQUIRE(h.now() == states[at].project);
      CHECK(h.can_undo() == (at > 0));
      CHECK(h.can_redo() == (at + 1 < states.size()));
    }
  }
}

TEST_CASE("resizing keeps the anchor and the proportions that are locked") {
  Project p = four_inks();
  const Box before = bounds_of_piece(p, p.pieces[0]->id);
  p = sized(p, 1, 50.0, std::nullopt);
  Box box = bounds_of_piece(p, p.pieces[0]->id);
  CHECK(box.width() == Approx(50));
  CHECK(box.height() == Approx(before.height() / 2));
  CHECK(box.x0 == Approx(before.x0));
  p = sized(set_aspect_lock(p, 1, false), 1, std::nullopt, 10.0, {1, 1});
  const Box low = bounds_of_piece(p, p.pieces[0]->id);
  CHECK(low.width() == Approx(50));
  CHECK(low.height() == Approx(10));
  CHECK(low.y1 == Approx(box.y1));
}

TEST_CASE("art off the mat is brought on by one edit") {
  Project p = project_of(R"(<rect x="-80" y="-40" width="60" height="30"/>)");
  const Derived d = derived(p);
  const Finding* off = finding(d, "off-mat");
  REQUIRE(off);
  CHECK(off->severity == Severity::error);
  CHECK(sentence(*off).find("80 mm past the mat") != std::string::npos);
  REQUIRE(off->fixes.size() == 1);
  p = apply_fix(p, drawn(p), *off, off->fixes[0]);
  CHECK(p.machine.usable_area().grown(1e-6).contains(bounds_of_piece(p, p.pieces[0]->id)));
  CHECK_FALSE(finding(derived(p), "off-mat"));
}

TEST_CASE("settling an assumed size rescales the piece") {
  const auto art =
      read_svg(R"(<svg xmlns="http://www.w3.org/2000/svg"><rect width="96" height="48"/></svg>)", "plain.svg");
  Project p = add_artwork(new_project("t"), *art, "plain.svg");
  CHECK(bounds_of_piece(p, p.pieces[0]->id).width() == Approx(25.4));
  const Derived d = derived(p);
  const Finding* size = finding(d, "size-assumed");
  REQUIRE(size);
  REQUIRE(size->fixes.size() == 3);
  p = apply_fix(p, drawn(p), *size, size->fixes[2]);  // 72 per inch
  CHECK(bounds_of_piece(p, p.pieces[0]->id).width() == Approx(96 / 72.0 * 25.4));
  CHECK_FALSE(finding(derived(p), "size-assumed"));
}

TEST_CASE("splitting by layer gives one piece a layer, in place") {
  const auto bytes = read_file(std::string(DOTLANE_DEMO) + "/art/lighthouse-card.svg");
  const auto art = read_svg(*bytes, "lighthouse-card.svg");
  Project p = add_artwork(new_project("t"), *art, "lighthouse-card.svg");
  const Box before = bounds_of_piece(p, p.pieces[0]->id);
  const auto lines = p.pieces[0]->lines.size();
  p = split_by_layer(p, 1);
  REQUIRE(p.pieces.size() == 5);
  CHECK(p.pieces[0]->name == "Lighthouse");
  Box after;
  std::size_t sum = 0;
  for (const auto& piece : p.pieces) after.add(bounds_of_piece(p, piece->id)), sum += piece->lines.size();
  CHECK(after == before);
  CHECK(sum == lines);
}

TEST_CASE("changing stock adds and removes sheets") {
  Project p = four_inks();
  REQUIRE(p.sheets.size() == 1);
  p = set_stock(duplicate_piece(p, 1), 1, "vinyl");
  CHECK(p.sheets.size() == 2);
  CHECK(p.sheets[1].load == 2);
  p = remove_pieces(p, {1});
  CHECK(p.sheets.size() == 1);
}

TEST_CASE("grammage of cover card follows the basis-weight definition") {
  // TAPPI T 410: 500 sheets of 20 x 26 in. Widely printed conversion: 65 lb cover = 176 g/m², 80 lb = 216 g/m².
  CHECK(grammage_of_cover(65) == Approx(176).margin(0.5));
  CHECK(grammage_of_cover(80) == Approx(216).margin(0.5));
}

TEST_CASE("an edit resolves only the piece it touched") {
  const auto demo = load_project(std::string(DOTLANE_DEMO) + "/lighthouse-card.dotlane");
  DrawingCache cache;
  const Drawing before = evaluate(*demo, cache);
  const Drawing after = evaluate(move_pieces(*demo, {demo->pieces[2]->id}, {3, 0}), cache);
  for (std::size_t i = 0; i < before.pieces.size(); ++i) CHECK((before.pieces[i] == after.pieces[i]) == (i != 2));
  CHECK(before.pieces[2]->flat == after.pieces[2]->flat);  // moved, not flattened anew
}

TEST_CASE("picking finds the nearest line within reach") {
  DrawingCache cache;
  const Drawing d = evaluate(four_inks(), cache);
  CHECK(pick_line(d, {50, 40.4}, 1)->line == "sea");
  CHECK_FALSE(pick_line(d, {50, 45}, 1));
  CHECK(lines_inside(d, {25, 25, 75, 45}).size() == 2);
  CHECK(lines_inside(d, {0, 0, 200, 200}) == std::vector<LineRef>{{1, ""}});
}
