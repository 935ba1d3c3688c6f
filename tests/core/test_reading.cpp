// Projects as files hold them: what is kept, what is bounded, what is refused, however the file was hurt.
#include <nlohmann/json.hpp>
#include <regex>
#include <set>

#include "chance.hpp"
#include "core/format/files.hpp"
#include "core/format/project_json.hpp"
#include "core/job/hpgl.hpp"
#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;
using Json = nlohmann::json;

namespace {

std::string demo_text(const std::string& name) {
  return *read_file(std::string(DOTLANE_DEMO) + "/" + name + ".dotlane");
}

/// A project with one of everything that a file can hold.
Json whole() {
  Json json = Json::parse(demo_text("lighthouse-card"));
  json["pieces"][0]["made_lines"] = {{"outline~3", {{"role", "draw"}, {"tool", json["tools"][0]["id"]}}}};
  json["pieces"][0]["source"]["notes"] = {
      {{"code", "size-assumed"}, {"severity", "warning"}, {"message", "A note."}, {"lines", Json::array()}}};
  json["pieces"][0]["recipe"] = {{{"id", 1}, {"kind", "offset"}, {"on", true}, {"values", {{"by", 1.0}}}},
                                 {{"id", 2}, {"kind", "fold-in-nine"}, {"on", true}, {"values", {{"times", 9}}}}};
  json["checks"] = {{"tiny_mm2", 2.0}};
  json["plan"]["pins"] = Json::array({json["plan"]["by_hand"][0]["first"]});
  json["plan"]["loaded"] = Json::array({Json{{"tool", "pen-black"}, {"depth", 0.0}}});
  json["machine"]["pace"] = {{"cut", {{"factor", 1.2}, {"spread", 0.1}}}};
  Json shape = json["pieces"][1];
  shape["id"] = 900;
  shape["lines"] = Json::array();
  shape["recipe"] = Json::array();
  shape["source"] = {{"kind", "rectangle"}, {"values", {{"width", 30.0}, {"height", 20.0}}}};
  json["pieces"].push_back(shape);
  return json;
}

/// Puts a field that no version knows into every object, and remembers where.
void sprinkle(Json& json, const std::string& at, std::vector<std::string>& places, bool keyed = false) {
  if (json.is_object()) {
    for (auto& [key, value] : json.items())
      // The keys of these are names, not fields.
      sprinkle(value, at + "/" + std::regex_replace(key, std::regex("~"), "~0"), places,
               key == "settings" || key == "made_lines" || key == "pace");
    if (!keyed) {
      json["of a later version"] = {{"list", {1, 2, 3}}, {"text", "kept"}};
      places.push_back(at + "/of a later version");
    }
  } else if (json.is_array()) {
    for (std::size_t i = 0; i < json.size(); ++i) sprinkle(json[i], at + "/" + std::to_string(i), places);
  }
}

Result<Project> read(const Json& json) { return project_from_json(json.dump(), "hurt.dotlane"); }

}  // namespace

TEST_CASE("fields that nobody knows are written back from every place in the file") {
  Json json = whole();
  std::vector<std::string> places;
  sprinkle(json, "", places);
  REQUIRE(places.size() > 100);
  const auto project = read(json);
  if (!project) FAIL(line_of(project.error()));
  const Json back = Json::parse(to_json(*project));
  for (const auto& place : places) {
    INFO(place);
    const Json::json_pointer at(place);
    REQUIRE(back.contains(at));
    CHECK(back.at(at) == json.at(at));
  }
  // Also after an edit, and read once more.
  const Project moved = move_pieces(*project, {project->pieces.front()->id}, {1, 1});
  const auto again = project_from_json(to_json(moved), "again");
  REQUIRE(again);
  CHECK(*again == moved);
  CHECK(Json::parse(to_json(*again)).contains(Json::json_pointer(places.back())));
}

TEST_CASE("a step of a later version keeps its place and its values") {
  const auto project = read(whole());
  REQUIRE(project);
  const Piece& piece = *project->pieces.front();
  REQUIRE(piece.steps.size() == 2);
  CHECK(piece.steps[1].kind == "fold-in-nine");
  const Json back = Json::parse(to_json(*project));
  CHECK(back["pieces"][0]["recipe"][1]["values"]["times"] == 9);
}

TEST_CASE("numbers beyond what can be made are refused, with their place") {
  const struct {
    const char* pointer;
    Json value;
    const char* said;
  } cases[] = {
      {"/pieces/0/placement/4", 1e6, "100 m"},
      {"/pieces/0/placement/5", -2e5, "100 m"},
      {"/pieces/0/placement/0", 1e9, "10,000"},
      {"/pieces/0/placement", Json::array({0, 0, 0, 0, 1, 1}), "flattens"},
      {"/pieces/0/placement", Json::array({1, 0, 0}), "placement"},
      {"/pieces/0/placement/2", "a", "placement"},
      {"/pieces/0/lines/0/d", "M0 0 L1e7 0", "100 m"},
      {"/pieces/0/lines/0/d", "M0 0 L", "d"},
      {"/pieces/0/lines/0/d", 12, "d"},
      {"/pieces/0/lines/0/repeats", 1000000, "repeats"},
      {"/pieces/0/lines/0/coat", -1, "coat"},
      {"/pieces/0/lines/0/role", "juggle", "role"},
      {"/pieces/0/lines/0/tool", "wand", "wand"},
      {"/pieces/0/id", 0, "id"},
      {"/pieces/0/id", 2.5, "id"},
      {"/pieces/0/stock", "moonstone", "moonstone"},
      {"/pieces/0/recipe/0/values/by", 1e9, "by"},
      {"/pieces/0/recipe/0/values/by", "wide", "by"},
      {"/sheets/0/area_mm", Json::array({0, 0, 0, 10}), "area_mm"},
      {"/sheets/0/area_mm", Json::array({0, 0, 1e9, 10}), "100 m"},
      {"/sheets/0/load", 100000, "load"},
      {"/machine/holders", 0, "holders"},
      {"/machine/holders", 5, "holders"},
      {"/machine/mat/width_mm", 1e8, "width_mm"},
      {"/machine/travel_mm_s", 0, "travel_mm_s"},
      {"/machine/corner_mm", 0, "corner_mm"},
      {"/tools/0/tip_width_mm", 0, "tip_width_mm"},
      {"/tools/0/id", "Has Capitals", "id"},
      {"/tools/1/id", "fine-blade", "id"},
      {"/stocks/0/thickness_mm", -1, "thickness_mm"},
      {"/plan/role_order/0", "juggle", "role"},
      {"/version", 0, "version"},
      {"/format", "a recipe for soup", "format"},
  };
  const Json good = whole();
  REQUIRE(read(good));
  for (const auto& c : cases) {
    INFO(c.pointer << " = " << c.value.dump());
    Json json = good;
    if (std::string(c.pointer) == "/tools/1/id") {
      json["tools"][1]["id"] = json["tools"][0]["id"];
    } else {
      json[Json::json_pointer(c.pointer)] = c.value;
    }
    const auto project = read(json);
    REQUIRE_FALSE(project);
    CHECK(line_of(project.error()).find("hurt.dotlane") == 0);
    INFO(line_of(project.error()));
    CHECK(line_of(project.error()).find(c.said) != std::string::npos);
  }
}

TEST_CASE("holders from one to four are read") {
  for (int n = 1; n <= 4; ++n) {
    Json json = whole();
    json["machine"]["holders"] = n;
    const auto project = read(json);
    REQUIRE(project);
    CHECK(project->machine.holders == n);
    for (const auto& pass : derived(*project).plan.passes) CHECK(pass.holder <= n);
  }
}

TEST_CASE("a line that is a move alone draws nothing and harms nothing") {
  Json json = Json::parse(demo_text("lighthouse-card"));
  for (auto& line : json["pieces"][0]["lines"]) line["d"] = "M 10 10 M 20 20 M 30 30 L 30 30 Z";
  json["pieces"][1]["lines"][0]["d"] = "";
  const auto project = read(json);
  REQUIRE(project);
  const Derived d = derived(*project);
  for (const auto& pass : d.plan.passes) {
    for (const auto& stroke : pass.strokes) CHECK_FALSE(stroke.points().empty());
  }
  CHECK(*project_from_json(to_json(*project), "x") == *project);
}

TEST_CASE("pieces whose stock has no sheet get one, and stand in plan and findings") {
  Json json = Json::parse(demo_text("lighthouse-card"));
  json["sheets"] = Json::array();
  const auto project = read(json);
  REQUIRE(project);
  CHECK(project->sheets.size() == 2);
  std::set<int> planned;
  for (const auto& pass : derived(*project).plan.passes) {
    for (const auto& stroke : pass.strokes) planned.insert(stroke.piece);
  }
  CHECK(planned.size() == project->pieces.size());
}

namespace {

/// One random change of the document's structure.
void hurt(Json& json, Chance& chance) {
  // Down to some place.
  Json* at = &json;
  Json* parent = nullptr;
  std::string key;
  std::size_t index = 0;
  for (int depth = chance.whole(1, 6); depth > 0 && at->is_structured() && !at->empty(); --depth) {
    const int pick = chance.whole(0, static_cast<int>(at->size()) - 1);
    parent = at;
    auto it = at->begin();
    std::advance(it, pick);
    if (at->is_object()) key = it.key();
    index = static_cast<std::size_t>(pick);
    at = &*it;
  }
  if (!parent) return;
  const Json others[] = {nullptr,
                         true,
                         -1,
                         0,
                         3,
                         1e300,
                         -1e-300,
                         "",
                         "cut",
                         "M0 0 L5 5",
                         Json::array(),
                         Json::object(),
                         Json::array({1, 2, 3, 4, 5, 6}),
                         {{"id", 1}},
                         std::string(3000, 'x')};
  switch (chance.whole(0, 4)) {
    case 0:  // gone
      if (parent->is_object()) {
        parent->erase(key);
      } else {
        parent->erase(index);
      }
      break;
    case 1:  // twice
      if (parent->is_array()) parent->push_back(Json(*at));
      break;
    case 2:  // of another sort
      *at = others[chance.whole(0, static_cast<int>(std::size(others)) - 1)];
      break;
    case 3:  // another's
      if (parent->is_object() && parent->size() > 1) {
        auto it = parent->begin();
        std::advance(it, chance.whole(0, static_cast<int>(parent->size()) - 1));
        *at = Json(*it);
      }
      break;
    default:  // another order
      if (parent->is_array() && parent->size() > 1) std::swap((*parent)[0], (*parent)[parent->size() - 1]);
  }
}

}  // namespace

TEST_CASE("structurally damaged projects are read, planned and saved again, or refused with their place") {
  Chance chance(10);
  int read_well = 0, refused = 0;
  for (const std::string name : {"lighthouse-card", "stall-sign"}) {
    const Json good = name == "lighthouse-card" ? whole() : Json::parse(demo_text(name));
    for (int round = 0; round < rounds(250); ++round) {
      Json json = good;
      for (int k = chance.whole(1, 4); k > 0; --k) hurt(json, chance);
      INFO(name << " round " << round);
      const auto project = read(json);
      if (!project) {
        ++refused;
        CHECK(line_of(project.error()).find("hurt.dotlane") == 0);
        CHECK(line_of(project.error()).find('\n') == std::string::npos);
        continue;
      }
      ++read_well;
      const std::string bytes = to_json(*project);
      const auto again = project_from_json(bytes, "again");
      if (!again) FAIL(line_of(again.error()));
      CHECK(*again == *project);
      CHECK(to_json(*again) == bytes);
      if (round % 5 != 0) continue;  // the rest of the road takes its time
      const Derived d = derived(*project);
      for (const auto& pass : d.plan.passes) CHECK(std::isfinite(pass.seconds));
      const Job job = compile(d.plan, project->machine);
      CHECK_FALSE(hpgl_of(job).text.empty());
    }
  }
  CHECK(read_well > rounds(100) - 10);
  CHECK(refused > rounds(100) - 10);
}

TEST_CASE("damaged bytes are refused with a place, and never crash") {
  Chance chance(20);
  const std::string good = demo_text("lighthouse-card");
  for (int round = 0; round < rounds(300); ++round) {
    std::string bytes = good;
    for (int k = chance.whole(1, 5); k > 0; --k) {
      const auto at = static_cast<std::size_t>(chance.whole(0, static_cast<int>(bytes.size()) - 1));
      switch (chance.whole(0, 2)) {
        case 0:
          bytes[at] = static_cast<char>(chance.whole(0, 255));
          break;
        case 1:
          bytes.erase(at, static_cast<std::size_t>(chance.whole(1, 40)));
          break;
        default:
          bytes.insert(at, bytes, at / 2, static_cast<std::size_t>(chance.whole(1, 40)));
      }
    }
    const auto project = project_from_json(bytes, "bytes.dotlane");
    if (!project) {
      CHECK(line_of(project.error()).find("bytes.dotlane") == 0);
    } else {
      CHECK(project_from_json(to_json(*project), "again").has_value());
    }
  }
  CHECK_FALSE(project_from_json(std::string(200'000, '['), "deep"));
  CHECK_FALSE(project_from_json("", "empty"));
  CHECK_FALSE(project_from_json("null", "null"));
}
