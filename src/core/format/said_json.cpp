#include "core/format/said_json.hpp"

#include <nlohmann/json.hpp>

namespace dotlane {

nlohmann::json from_said(const Said& said) {
  nlohmann::json figures = nlohmann::json::object();
  for (const auto& [name, value] : said.figures)
    std::visit([&, &key = name](const auto& v) { figures[key] = v; }, value);
  return {{"code", said.code}, {"figures", std::move(figures)}};
}

Said to_said(const nlohmann::json& json) {
  Said out{json.at("code").get<std::string>()};
  for (const auto& [name, value] : json.at("figures").items()) {
    if (value.is_number()) {
      out.figures[name] = value.get<double>();
    } else {
      out.figures[name] = value.get<std::string>();
    }
  }
  return out;
}

}  // namespace dotlane
