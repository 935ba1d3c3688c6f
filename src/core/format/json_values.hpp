// Values on their way into JSON.
#pragma once

#include <initializer_list>
#include <nlohmann/json.hpp>

#include "core/project/recipe.hpp"

namespace dotlane {

using Json = nlohmann::ordered_json;

/// Puts back the fields that the reader did not know.
inline void keep(Json& json, const Unknown& unknown) {
  if (unknown.empty()) return;
  const Json rest = Json::parse(unknown);
  for (const auto& [key, value] : rest.items()) json[key] = value;
}

// Fields are set one by one: nested initializer lists of JSON take the compiler ten times as long.

template <class Range, class To>
Json list_of(const Range& range, To to) {
  Json out = Json::array();
  for (const auto& item : range) out.push_back(to(item));
  return out;
}

inline Json numbers(std::initializer_list<double> list) {
  return list_of(list, [](double v) { return Json(v); });
}

}  // namespace dotlane
