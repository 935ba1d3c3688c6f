// A value that is copied by sharing and changed by replacing: what makes undo cheap and caches exact.
#pragma once

#include <memory>
#include <utility>

namespace dotlane {

template <class T>
class Shared {
 public:
  Shared() : value_(std::make_shared<const T>()) {}
  Shared(T value) : value_(std::make_shared<const T>(std::move(value))) {}  // NOLINT: meant to be implicit
  const T& operator*() const { return *value_; }
  const T* operator->() const { return value_.get(); }
  /// Replaces the value by a changed copy; other holders keep the old one.
  template <class Change>
  void edit(Change&& change) {
    T copy = *value_;
    std::forward<Change>(change)(copy);
    value_ = std::make_shared<const T>(std::move(copy));
  }
  /// The shared object itself, as a key for caches: the same pointer means the same value.
  [[nodiscard]] const std::shared_ptr<const T>& handle() const { return value_; }
  friend bool operator==(const Shared& a, const Shared& b) { return a.value_ == b.value_ || *a.value_ == *b.value_; }

 private:
  std::shared_ptr<const T> value_;
};

}  // namespace dotlane
