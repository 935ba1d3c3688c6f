// One JSON object being read, field by field: every fault names its field, and what nobody asks for is kept.
#pragma once

#include <nlohmann/json.hpp>
#include <set>
#include <string>

#include "core/color.hpp"
#include "core/project/recipe.hpp"
#include "core/said.hpp"

namespace dotlane {

using Json = nlohmann::ordered_json;

/// What is wrong with a field, thrown where it is read.
struct BadField {
  std::string field;
  Said said;
};

/// One JSON object being read: fields are asked for by name, and what nobody asked for is kept as unknown.
class Fields {
 public:
  Fields(const Json& json, std::string where) : json_(json), where_(std::move(where)) {
    if (!json.is_object()) throw BadField{where_, {"want-object"}};
  }
  [[nodiscard]] std::string name_of(const char* key) const { return where_.empty() ? key : where_ + "." + key; }

  const Json* find(const char* key) {
    asked_.insert(key);
    const auto found = json_.find(key);
    return found == json_.end() ? nullptr : &*found;
  }
  void number(const char* key, double& out, double low = -1e9, double high = 1e9) {
    const Json* v = find(key);
    if (!v) return;
    if (!v->is_number() || !(v->get<double>() >= low && v->get<double>() <= high))
      bad(key, {"want-number-between", {{"low", low}, {"high", high}}});
    out = v->get<double>();
  }
  void integer(const char* key, int& out, int low, int high) {
    const Json* v = find(key);
    if (!v) return;
    if (!v->is_number_integer() || v->get<std::int64_t>() < low || v->get<std::int64_t>() > high) {
      bad(key, {"want-whole-between", {{"low", figure(low)}, {"high", figure(high)}}});
    }
    out = v->get<int>();
  }
  void text(const char* key, std::string& out) {
    if (const Json* v = find(key)) {
      if (!v->is_string()) bad(key, {"want-text"});
      out = v->get<std::string>();
    }
  }
  void boolean(const char* key, bool& out) {
    if (const Json* v = find(key)) {
      if (!v->is_boolean()) bad(key, {"want-flag"});
      out = v->get<bool>();
    }
  }
  void color(const char* key, Color& out) {
    std::string text_value;
    text(key, text_value);
    if (text_value.empty()) return;
    const auto c = parse_color(text_value);
    if (!c) bad(key, {"want-colour"});
    out = *c;
  }
  template <std::size_t N>
  void numbers(const char* key, double (&out)[N]) {
    const Json* v = find(key);
    if (!v) return;
    if (!v->is_array() || v->size() != N) bad(key, {"want-numbers", {{"count", figure(N)}}});
    for (std::size_t i = 0; i < N; ++i) {
      if (!(*v)[i].is_number() || std::abs((*v)[i].template get<double>()) > 1e9)
        bad(key, {"want-numbers", {{"count", figure(N)}}});
      out[i] = (*v)[i].template get<double>();
    }
  }
  template <class Each>
  void list(const char* key, Each each, std::size_t most = 10'000) {
    const Json* v = find(key);
    if (!v) return;
    if (!v->is_array()) bad(key, {"want-list"});
    if (v->size() > most) bad(key, {"list-too-long", {{"entries", figure(v->size())}, {"most", figure(most)}}});
    for (std::size_t i = 0; i < v->size(); ++i) each((*v)[i], name_of(key) + "[" + std::to_string(i) + "]");
  }
  [[nodiscard]] Unknown unknown() const {
    Json rest = Json::object();
    for (const auto& [key, value] : json_.items()) {
      if (!asked_.contains(key)) rest[key] = value;
    }
    return rest.empty() ? Unknown{} : rest.dump();
  }
  [[noreturn]] void bad(const char* key, Said said) const { throw BadField{name_of(key), std::move(said)}; }

 private:
  const Json& json_;
  std::string where_;
  std::set<std::string> asked_;
};

}  // namespace dotlane
