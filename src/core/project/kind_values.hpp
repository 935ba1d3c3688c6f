// Short ways to write down the values of a kind, for the tables of steps and of ready shapes.
#pragma once

#include <utility>

#include "core/project/kinds.hpp"

namespace dotlane::kind_values {

inline ValueSpec length(std::string key, std::string label, double standard, double low = 0, double high = 5000,
                        std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::length, standard, low, high, {}, std::move(help)};
}
inline ValueSpec area(std::string key, std::string label, double standard, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::area, standard, 0, 1e6, {}, std::move(help)};
}
inline ValueSpec degrees(std::string key, std::string label, double standard, double low = -360, double high = 360) {
  return {std::move(key), std::move(label), ValueType::degrees, standard, low, high, {}, {}};
}
inline ValueSpec percent(std::string key, std::string label, double standard, double low, double high) {
  return {std::move(key), std::move(label), ValueType::percent, standard, low, high, {}, {}};
}
inline ValueSpec count(std::string key, std::string label, double standard, double low, double high,
                       std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::count, standard, low, high, {}, std::move(help)};
}
inline ValueSpec number(std::string key, std::string label, double standard, double low, double high,
                        std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::number, standard, low, high, {}, std::move(help)};
}
/// The first word is the standard.
inline ValueSpec choice(std::string key, std::string label, std::vector<Word> words, std::string help = {}) {
  const std::string first = words.front().word;
  return {std::move(key), std::move(label), ValueType::choice, first, 0, 0, std::move(words), std::move(help)};
}
inline ValueSpec flag(std::string key, std::string label, bool standard, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::flag, standard, 0, 0, {}, std::move(help)};
}
inline ValueSpec lines() {
  return {"of", "lines", ValueType::lines, std::string(), 0, 0, {}, "Empty: every line. Else roles or line names."};
}
inline ValueSpec pieces(std::string label, std::string help = {}) {
  return {"with", std::move(label), ValueType::pieces, std::vector<double>{}, 0, 0, {}, std::move(help)};
}

inline ValueSpec color(std::string key, std::string label, std::string standard, std::string help = {}) {
  return {std::move(key), std::move(label), ValueType::color, std::move(standard), 0, 0, {}, std::move(help)};
}

/// A number of 0 means this.
inline ValueSpec zero_is(std::string what, ValueSpec v) {
  v.zero = std::move(what);
  return v;
}

/// The value means something only while all of these, or all of those choices have their words.
using Conditions = std::vector<ValueSpec::Condition>;
inline ValueSpec only(Conditions these, ValueSpec v) {
  v.only = {std::move(these)};
  return v;
}
inline ValueSpec only(Conditions these, Conditions those, ValueSpec v) {
  v.only = {std::move(these), std::move(those)};
  return v;
}

}  // namespace dotlane::kind_values
