// All one's projects: what a search finds, what is kept true, what is brought over.
#include "core/library/look_through.hpp"

#include <fstream>

#include "core/layout/how_big.hpp"
#include "core/shape/clip.hpp"
#include "core/sqlite.hpp"
#include "fixtures.hpp"
#include "scratch.hpp"

using namespace dotlane;
using namespace dotlane::test;
namespace fs = std::filesystem;

namespace {

const std::string kDemoFolder = DOTLANE_DEMO;

std::vector<std::string> names_of(const std::vector<FoundProject>& found) {
  std::vector<std::string> out;
  for (const auto& f : found) out.push_back(f.glance.name);
  return out;
}

ProjectIndex demo_index(const Scratch& scratch) {
  auto index = ProjectIndex::open(scratch.file("data/projects.sqlite"));
  REQUIRE(index);
  const auto looked = bring_up_to_date(*index, projects_below(kDemoFolder));
  REQUIRE(looked);
  REQUIRE(looked->read >= 4);
  REQUIRE(looked->unread == 0);
  return std::move(*index);
}

}  // namespace

TEST_CASE("what is typed is taken apart into words and sizes") {
  const auto sizes = [](const char* text, double unit = 1) {
    std::vector<std::pair<double, double>> out;
    const auto tidy = [](double mm) { return std::round(mm * 1e6) / 1e6; };
    for (const auto& s : query_from(text, unit).sizes) out.emplace_back(tidy(s.width_mm), tidy(s.height_mm));
    return out;
  };
  using Sizes = std::vector<std::pair<double, double>>;
  CHECK(query_from("  star  kraft ").words == std::vector<std::string>{"star", "kraft"});
  CHECK(query_from("").empty());
  CHECK(sizes("105 x 148") == Sizes{{105, 148}});
  CHECK(sizes("105x148mm") == Sizes{{105, 148}});
  CHECK(sizes("105×148 mm") == Sizes{{105, 148}});
  CHECK(sizes("5 x 7 in") == Sizes{{127, 177.8}});
  CHECK(sizes("5\" x 7\"") == Sizes{{127, 177.8}});
  CHECK(sizes("5 x 7", 25.4) == Sizes{{127, 177.8}});
  CHECK(sizes("5 1/2 x 4 1/4 in") == Sizes{{139.7, 107.95}});
  CHECK(sizes("10,5 x 14,8 cm") == Sizes{{105, 148}});
  CHECK(sizes("120 mm") == Sizes{{120, 0}});
  CHECK(sizes("tag 3in") == Sizes{{76.2, 0}});
  CHECK(query_from("tag 3in").words == std::vector<std::string>{"tag"});
  // Numbers alone are words: years, numbers of houses.
  CHECK(query_from("fair 2026").words == std::vector<std::string>{"fair", "2026"});
  CHECK(sizes("fair 2026").empty());
  CHECK(query_from("box").words == std::vector<std::string>{"box"});
  CHECK(query_from("3xlarge").words == std::vector<std::string>{"3xlarge"});
  CHECK(query_from("0 x 5").sizes.empty());
  CHECK(query_from("heron 105x148 kraft").words == std::vector<std::string>{"heron", "kraft"});
}

TEST_CASE("a size is met lying or standing, within a hundredth or a millimetre") {
  CHECK(matches({105, 148}, 105.9, 148));
  CHECK(matches({105, 148}, 148, 105));
  CHECK_FALSE(matches({105, 148}, 107, 148));
  CHECK(matches({400, 0}, 77, 403.9));
  CHECK_FALSE(matches({400, 0}, 77, 405));
}

TEST_CASE("projects are found by name, piece, kind, lettered words, stock and size") {
  const Scratch scratch;
  const ProjectIndex index = demo_index(scratch);
  const auto find = [&](const char* text) { return *index.find(query_from(text)); };
  const auto all = find("");
  CHECK(all.size() == projects_below(kDemoFolder).size());
  for (const auto& project : all) {
    // What is known of each agrees with the project itself.
    const Project read = *load_project(project.path);
    DrawingCache cache;
    const Drawing drawing = evaluate(read, cache);
    CHECK(project.glance.name == read.name);
    const Box figure = how_big(read, drawing, lay_out(read, drawing)).figure;
    CHECK(std::abs(project.glance.size_mm.x - figure.width()) < 0.05);
    CHECK(std::abs(project.glance.size_mm.y - figure.height()) < 0.05);
    REQUIRE(project.glance.pieces.size() == read.pieces.size());
    for (std::size_t i = 0; i < read.pieces.size(); ++i) {
      const Piece& piece = *read.pieces[i];
      CHECK(project.glance.pieces[i].id == piece.id);
      // By each piece's whole name it is found, and is among what was found in it.
      const auto found = find(piece.name.c_str());
      const auto at = std::find_if(found.begin(), found.end(), [&](const auto& f) { return f.path == project.path; });
      INFO(piece.name);
      REQUIRE(at != found.end());
      if (query_from(piece.name).sizes.empty())
        CHECK(std::find(at->hits.begin(), at->hits.end(), piece.id) != at->hits.end());
      const std::string stock = find_stock(read, piece.stock)->name;
      const auto by_stock = find(stock.substr(0, stock.find(' ')).c_str());
      CHECK(std::any_of(by_stock.begin(), by_stock.end(), [&](const auto& f) { return f.path == project.path; }));
    }
  }
  CHECK(names_of(find("heron")).front() == "Wading heron");
  CHECK(names_of(find("HERO wad")).front() == "Wading heron");  // beginnings, in any case and order
  // Of the heron's pieces, those that are legs.
  const auto legs = find("heron leg");
  REQUIRE(legs.size() == 1);
  REQUIRE(legs.front().hits.size() == 2);
  for (const auto& piece : legs.front().glance.pieces) {
    const bool hit = std::find(legs.front().hits.begin(), legs.front().hits.end(), piece.id) != legs.front().hits.end();
    CHECK(hit == piece.name.starts_with("Leg"));
  }
  CHECK(find("heron lighthouse nowhere").empty());
  CHECK(find("\"; DROP TABLE projects; --").empty());  // whatever is typed is only looked for
  CHECK(find("").size() == all.size());
}

TEST_CASE("what was lettered is found without accents, a star by what it is, a size by any of both") {
  const Scratch scratch;
  Project p = new_project("Souvenirs");
  const auto shape = [&](const char* kind, Values values) {
    int id = 0;
    p = add_shape(std::move(p), kind, values, &id).value();
    return id;
  };
  const int words = shape("lettering", {{"text", std::string("Fête du phare 2026")}, {"size", 12.0}}),
            star = shape("shaped-card", {{"outline", std::string("star")}}),
            tag = shape("tag", {{"width", 50.0}, {"height", 90.0}});
  p = rename_piece(std::move(p), star, "Piece of luck");
  const std::string path = scratch.file("souvenirs.dotlane");
  REQUIRE(save_project(p, path));
  auto index = ProjectIndex::open(scratch.file("projects.sqlite"));
  REQUIRE(index);
  REQUIRE(bring_up_to_date(*index, {path})->read == 1);
  const auto hits = [&](const char* text) {
    const auto found = index->find(query_from(text));
    return found->empty() ? std::vector<int>{} : found->front().hits;
  };
  CHECK(hits("fete") == std::vector<int>{words});
  CHECK(hits("PHARE") == std::vector<int>{words});
  CHECK(hits("star") == std::vector<int>{star});
  CHECK(hits("luck") == std::vector<int>{star});
  CHECK(hits("90 x 50 mm") == std::vector<int>{tag});
  CHECK(hits("fete star") != std::vector<int>{});  // one word in one piece, one in another: the same project
  CHECK(hits("star 1000 mm").empty());
}

TEST_CASE("the index stays true: changed, deleted, unreadable, on a drive that is not there") {
  const Scratch scratch;
  const std::string folder = scratch.file("mine"), file = folder + "/a.dotlane", bad = folder + "/deep/b.dotlane";
  fs::create_directories(folder + "/deep");
  fs::create_directories(folder + "/.hidden");
  REQUIRE(save_project(new_project("First"), file));
  REQUIRE(save_project(new_project("Hidden"), folder + "/.hidden/c.dotlane"));
  std::ofstream(bad) << "{\"format\":";
  auto index = ProjectIndex::open(scratch.file("projects.sqlite"));
  REQUIRE(index);
  CHECK(projects_below(folder) == std::vector<std::string>{file, bad});
  auto looked = bring_up_to_date(*index, projects_below(folder));
  CHECK(looked->read == 1);
  CHECK(looked->unread == 1);
  const auto broken = *index->find(query_from("b"));
  REQUIRE(broken.size() == 1);
  // Why is kept as it was said; what somebody else wrote there is no reason to fail.
  CHECK(broken.front().trouble == Said{"project-cut-short", {}});
  {
    Database database(scratch.file("projects.sqlite"));
    Statement(database, "UPDATE projects SET trouble = 'scribbled' WHERE trouble <> ''").run();
  }
  CHECK(index->find(query_from("b"))->front().trouble == Said{"scribbled", {}});
  // What is only known to be there is found by its file's name, then read.
  REQUIRE(save_project(new_project("Noted"), scratch.file("n.dotlane")));
  REQUIRE(index->note(scratch.file("n.dotlane")));
  REQUIRE(index->note(file));  // known already: it stays as it is
  CHECK(names_of(*index->find(query_from("n"))) == std::vector<std::string>{"n"});
  CHECK(bring_up_to_date(*index, {})->read == 1);
  CHECK(names_of(*index->find(query_from("noted"))) == std::vector<std::string>{"Noted"});
  fs::remove(scratch.file("n.dotlane"));
  CHECK(bring_up_to_date(*index, {})->forgotten == 1);
  // Nothing is read twice, not even what could not be.
  looked = bring_up_to_date(*index, projects_below(folder));
  CHECK(looked->read + looked->unread + looked->forgotten == 0);
  REQUIRE(save_project(new_project("Second"), file));
  CHECK(bring_up_to_date(*index, {})->read == 1);
  CHECK(names_of(*index->find(query_from("second"))) == std::vector<std::string>{"Second"});
  CHECK(index->find(query_from("first"))->empty());
  // A drive that is pulled out: nothing of it is shown, and all of it again when it is back.
  fs::rename(folder, scratch.file("elsewhere"));
  CHECK(bring_up_to_date(*index, {})->forgotten == 0);
  CHECK(index->find({})->empty());
  fs::rename(scratch.file("elsewhere"), folder);
  CHECK(index->find({})->size() == 2);
  fs::remove(file);
  CHECK(bring_up_to_date(*index, {})->forgotten == 1);
  CHECK(index->find({})->size() == 1);
}

TEST_CASE("a damaged index is made anew, and two may be open at once") {
  const Scratch scratch;
  const std::string path = scratch.file("projects.sqlite"), file = scratch.file("a.dotlane");
  REQUIRE(save_project(new_project("First"), file));
  {
    auto one = ProjectIndex::open(path), other = ProjectIndex::open(path);
    REQUIRE(one);
    REQUIRE(other);
    REQUIRE(bring_up_to_date(*one, {file})->read == 1);
    CHECK(bring_up_to_date(*other, {file})->read == 0);
    CHECK(other->find({})->size() == 1);
  }
  std::ofstream(path) << "this is no database at all, however long it may be, and nothing of it can be read";
  for (const char* of : {"-wal", "-shm"}) fs::remove(path + of);
  auto again = ProjectIndex::open(path);
  REQUIRE(again);
  CHECK(again->find({})->empty());
  CHECK(bring_up_to_date(*again, {file})->read == 1);
  const auto nowhere = ProjectIndex::open("/proc/none/projects.sqlite");
  REQUIRE_FALSE(nowhere);
  CHECK(nowhere.error().place == "/proc/none/projects.sqlite");
}

TEST_CASE("a piece of one project comes into another with its stock, tools and recipe, onto the mat") {
  const Project heron = *load_project(kDemoFolder + "/wading-heron.dotlane");
  Project mine = new_project("Mine");
  DrawingCache cache;
  const Drawing drawing = evaluate(heron, cache);
  for (const auto& piece : heron.pieces) {
    std::vector<int> ids;
    const Project with = brought_over(mine, heron, drawing, {piece->id}, &ids);
    REQUIRE(ids.size() == 1);
    const Piece* came = find_piece(with, ids.front());
    REQUIRE(came);
    CHECK(came->name == piece->name);
    REQUIRE(find_stock(with, came->stock));
    CHECK(find_stock(with, came->stock)->name == find_stock(heron, piece->stock)->name);
    DrawingCache own;
    const DrawnPiece* now = nullptr;
    const Drawing there = evaluate(with, own);
    now = find_drawn(there, ids.front());
    const DrawnPiece* was = find_drawn(drawing, piece->id);
    CHECK(std::abs(now->bounds.width() - was->bounds.width()) < 1e-6);
    CHECK(std::abs(now->bounds.height() - was->bounds.height()) < 1e-6);
    for (const auto& line : now->piece->lines) CHECK((line.tool.empty() || find_tool(with, line.tool)));
    const Box room = with.machine.usable_area();
    if (now->bounds.width() <= room.width() && now->bounds.height() <= room.height())
      CHECK(room.grown(1e-6).contains(now->bounds));
  }
}
