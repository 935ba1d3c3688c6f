// The help pages that ship with Dot Lane: Markdown with places for figures, which are the program's own.
#pragma once

#include <QString>
#include <optional>
#include <string>
#include <vector>

#include "app/actions.hpp"

namespace dotlane {

struct HelpPage {
  QString id;     ///< "sheets"
  QString title;  ///< its first heading
  QString text;   ///< Markdown, every figure put in
};

/// All pages in the user's language, else in English, in the order of the road. Each is a file help/LANGUAGE/ID.md; in
/// it stand {{key:ACTION}} for the keys of an action, {{step:KIND.VALUE}} and {{shape:KIND.VALUE}} for what a value of
/// a step or a ready shape starts with, {{new:NAME}} for what a new project has, {{table:steps}} and {{table:shapes}}
/// for all of them. What names nothing stays as it stands.
[[nodiscard]] std::vector<HelpPage> help_pages(const Actions& actions);

/// FindingReason second look speaks of a code: a line of the page "checks".
struct FindingReason {
  QString when, because;
};
[[nodiscard]] std::optional<FindingReason> why(const std::string& code);

}  // namespace dotlane
