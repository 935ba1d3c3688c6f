// Undo and redo: a line of whole projects, each with the name of the action that led to it.
#pragma once

#include <deque>
#include <string>

#include "core/project/project.hpp"

namespace dotlane {

/// Unlimited. Projects share what they have in common, so an entry costs little more than what its edit changed.
class History {
 public:
  explicit History(Project start) { entries_.push_back({std::move(start), "", ""}); }
  [[nodiscard]] const Project& now() const { return entries_[at_].project; }

  /// Takes a new state. Nothing is recorded when it equals the present one. An entry with the same non-empty
  /// `merge_key` as the one before it replaces that one, so that a drag is a single step; sealed() ends that.
  /// Returns whether anything changed.
  bool commit(Project next, std::string label, std::string merge_key = {}) {
    if (next == now()) return false;
    const bool merge = merges(merge_key);
    entries_.resize(at_ + 1);
    if (merge) {
      entries_[at_].project = std::move(next);
    } else {
      entries_.push_back({std::move(next), std::move(label), std::move(merge_key)});
      ++at_;
    }
    return true;
  }
  /// The project that a commit with this key starts from: the one before the entry it would replace, else the present.
  [[nodiscard]] const Project& before(const std::string& merge_key) const {
    return merges(merge_key) ? entries_[at_ - 1].project : now();
  }
  /// Puts in the place of the present state one that differs in what nobody edits.
  void amend(Project project) { entries_[at_].project = std::move(project); }
  /// The next commit starts an entry of its own, whatever its key.
  void seal() { entries_[at_].merge_key.clear(); }

  /// How many entries lie before the present one.
  [[nodiscard]] std::size_t place() const { return at_; }
  [[nodiscard]] bool can_undo() const { return at_ > 0; }
  [[nodiscard]] bool can_redo() const { return at_ + 1 < entries_.size(); }
  [[nodiscard]] const std::string& undo_label() const { return entries_[at_].label; }
  [[nodiscard]] const std::string& redo_label() const { return entries_[at_ + 1].label; }
  void undo() {
    if (can_undo()) --at_, seal();
  }
  void redo() {
    if (can_redo()) ++at_, seal();
  }

 private:
  [[nodiscard]] bool merges(const std::string& key) const {
    return !key.empty() && at_ > 0 && at_ + 1 == entries_.size() && entries_[at_].merge_key == key;
  }
  struct Entry {
    Project project;
    std::string label, merge_key;
  };
  std::deque<Entry> entries_;  // a deque: what now() returned stays where it is when an entry is added
  std::size_t at_ = 0;
};

}  // namespace dotlane
