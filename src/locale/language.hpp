// Which language the programs speak: the translations that ship with Dot Lane, for Qt's texts and the core's.
#pragma once

#include <QString>

namespace dotlane {

/// Texts from now on in the language of a choice ("de", "en"), or in the system's (LANGUAGE, LC_ALL, LC_MESSAGES, LANG)
/// where that is empty; English where there is no translation. Numbers and dates are as the system has them, unless
/// another language was chosen. To be said before anything is shown.
void use_language(const QString& choice = {});

}  // namespace dotlane
