// What was worked out lately, to be found again by what it was worked out from.
#pragma once

#include <algorithm>
#include <mutex>
#include <optional>
#include <vector>

namespace dotlane {

/// The values asked for last, at most so many. Safe to share among threads.
template <class Key, class Value>
class Latest {
 public:
  explicit Latest(std::size_t most) : most_(most) {}
  [[nodiscard]] std::optional<Value> find(const Key& key) {
    const std::lock_guard lock(mutex_);
    const auto found = std::find_if(kept_.begin(), kept_.end(), [&](const auto& k) { return k.first == key; });
    if (found == kept_.end()) return std::nullopt;
    std::rotate(kept_.begin(), found, found + 1);
    return kept_.front().second;
  }
  void keep(Key key, Value value) {
    const std::lock_guard lock(mutex_);
    kept_.insert(kept_.begin(), {std::move(key), std::move(value)});
    if (kept_.size() > most_) kept_.pop_back();
  }

 private:
  const std::size_t most_;
  std::mutex mutex_;
  std::vector<std::pair<Key, Value>> kept_;  // the latest first
};

}  // namespace dotlane
