// What hands are told to do, and when.
#include "core/plan/setup_cards.hpp"

#include "fixtures.hpp"
#include "words/sentences.hpp"

using namespace dotlane;
using namespace dotlane::test;

namespace {

std::string told(const SetupCard& card) {
  std::string out;
  for (const auto& point : card.points) out += sentence(point.said) + "\n";
  return out;
}

bool has(const SetupCard& card, const std::string& text) { return told(card).find(text) != std::string::npos; }

std::vector<SetupCard> cards_of(const Project& p) {
  const Derived d = derived(p);
  return setup_cards(p, d.layout, d.plan);
}

}  // namespace

TEST_CASE("one card before the start and one a pause: stock, holders, passes, checks") {
  const Project p = four_inks();
  const Derived d = derived(p);
  const auto cards = setup_cards(p, d.layout, d.plan);
  REQUIRE(cards.size() == d.plan.pauses.size() + 1);
  CHECK(cards[0].pause == npos);
  CHECK(has(cards[0], "Sheet 1: lay "));
  CHECK(has(cards[0], "Holder 1: put in "));
  CHECK(has(cards[0], "Pass 1: "));
  CHECK(has(cards[0], " gf, "));
  CHECK(has(cards[0], "Scribble"));
  CHECK(has(cards[0], "Blades and swarf cut skin"));
  CHECK_FALSE(has(cards[0], "Pass 3: "));  // after the first pause
  for (std::size_t i = 1; i < cards.size(); ++i) {
    CHECK(cards[i].pause == i - 1);
    CHECK(has(cards[i], "Leave the mat where it is."));
    CHECK(has(cards[i], "Pass " + std::to_string(cards[i].before_pass + 1) + ": "));
  }
  CHECK(has(cards.back(), "test cut"));
  // Every code has its sentence.
  for (const auto& card : cards) {
    for (const auto& point : card.points) CHECK(sentence(point.said) != point.said.code);
  }
}

TEST_CASE("hands are told when they are needed again") {
  const Project p = four_inks();
  const Derived d = derived(p);
  const auto cards = setup_cards(p, d.layout, d.plan);
  double clock = 0;
  for (std::size_t i = 0; i < cards.size(); ++i) {
    if (i > 0) {
      CHECK(cards[i].start_s == Approx(clock));
      clock += d.plan.pauses[i - 1].seconds;
    }
    clock += cards[i].next_hands_s;
    CHECK(cards[i].last == (i + 1 == cards.size()));
  }
  CHECK(clock == Approx(d.plan.seconds));
}

TEST_CASE("what a tool, a stock or a job asks for is on its card, and on no other") {
  Project p = four_inks();
  CHECK_FALSE(has(cards_of(p)[0], "mirrored"));
  p.plan.mirrored = true;
  CHECK(has(cards_of(p)[0], "Leave the machine's mirror switch off"));
  CHECK_FALSE(has(cards_of(p)[0], "upright"));
  for (auto& tool : p.tools) tool.transfers = tool.kind == ToolKind::pen;
  CHECK(has(cards_of(p)[0], "upright for 20 minutes"));
  for (auto& tool : p.tools) {
    if (tool.kind == ToolKind::blade) tool.trail_mm = 0.6;
    if (tool.kind == ToolKind::pen) tool.sits_deg = 90;
  }
  const auto cards = cards_of(p);
  CHECK_FALSE(has(cards[0], "turned in"));
  CHECK(has(cards.back(), "turned in at the lower left"));
  CHECK(has(cards[0], "sits turned by 90 degrees"));
  for (auto& stock : p.stocks) stock.never_cut = true;
  CHECK(has(cards_of(p)[0], "on all four sides"));
  CHECK(has(cards_of(p)[0], "rollers aside"));
}

TEST_CASE("ink that has to dry is waited for on a card of its own") {
  Project p = four_inks();
  for (auto& tool : p.tools) {
    if (tool.id == "pen-101010") tool.dry_s = 600;
  }
  p = assign_role(p, {{1, "sea"}}, Role::cut);
  // The cut runs over the ink.
  p = project_of(R"(<path id="ink" d="M30 30 h60" stroke="#101010" fill="none"/>
    <path id="cut" d="M60 20 v30" stroke="#e01010" fill="none"/>)");
  p = assign_role(p, {{1, "cut"}}, Role::cut);
  for (auto& tool : p.tools) {
    if (tool.kind == ToolKind::pen) tool.dry_s = 600;
  }
  const auto cards = cards_of(p);
  const auto waits = std::find_if(cards.begin(), cards.end(), [](const SetupCard& c) { return c.dries_s > 0; });
  REQUIRE(waits != cards.end());
  CHECK(has(*waits, "until the ink is dry that pass "));
  CHECK(waits->dries_s <= 600);
}

TEST_CASE("nothing to run, nothing to do") { CHECK(cards_of(new_project("empty")).empty()); }
