// Independent pieces of work on all cores.
#pragma once

#include <algorithm>
#include <atomic>
#include <cstddef>
#include <exception>
#include <system_error>
#include <thread>
#include <vector>

namespace dotlane {

/// Calls `work(i)` for every i below `n`, each once, on as many threads as there are cores when there are at least
/// `worth` of them, else here. Which thread does what is left open: the calls must not touch what others write. The
/// first exception is thrown again here once all threads have ended.
template <class Work>
void for_each_index(std::size_t n, std::size_t worth, Work work) {
  const std::size_t cores = std::max(1u, std::thread::hardware_concurrency());
  if (n < std::max<std::size_t>(worth, 2) || cores == 1) {
    for (std::size_t i = 0; i < n; ++i) work(i);
    return;
  }
  std::atomic<std::size_t> next = 0;
  std::atomic<bool> failed = false;
  std::exception_ptr trouble;
  auto take = [&] {
    try {
      for (std::size_t i = next++; i < n && !failed; i = next++) work(i);
    } catch (...) {
      if (!failed.exchange(true)) trouble = std::current_exception();
    }
  };
  std::vector<std::thread> others;
  try {
    for (std::size_t k = 1; k < std::min(cores, n); ++k) others.emplace_back(take);
  } catch (const std::system_error&) {
    // The system gives no more threads: those there are do it all.
  }
  take();
  for (auto& t : others) t.join();
  if (trouble) std::rethrow_exception(trouble);
}

}  // namespace dotlane
