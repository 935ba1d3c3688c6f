// The reader's language. The core's texts are English: labels of its tables, templates of its sentences. Here they
// become those of another language, text by text; whoever starts a program says which (locale/language.hpp).
#pragma once

#include <functional>
#include <string>
#include <vector>

namespace dotlane {

struct Language {
  std::string code = "en";  ///< ISO 639-1
  /// The text for an English one, or that itself where there is none; nothing: English.
  std::function<std::string(const std::string& english)> text;
  std::string decimal_sign = ".";
  bool names_are_small = true;  ///< "Cut away" is "cut away" within a sentence; in German names keep their capitals
};

/// To be said once at the start, before other threads make sentences.
void set_language(Language language);
[[nodiscard]] const Language& language();

/// A text of the core's in the reader's language.
[[nodiscard]] std::string in_words(const std::string& english);
/// The same of a label that stands within a sentence.
[[nodiscard]] std::string within_sentence(const std::string& label);
/// A number with what decimals it needs, at most so many, and the language's decimal sign.
[[nodiscard]] std::string number_text(double value, int decimals);

/// Every text of the core's that in_words() is asked for, each once, for those who translate.
[[nodiscard]] std::vector<std::string> texts_of_core();

}  // namespace dotlane
