#include "locale/language.hpp"

#include <QCoreApplication>
#include <QLibraryInfo>
#include <QLocale>
#include <QTranslator>

#include "core/places.hpp"
#include "words/language.hpp"

namespace dotlane {
namespace {

QLocale of_texts(const QString& choice) {
  if (!choice.isEmpty()) return QLocale(choice);
  const QStringList languages = QLocale::system().uiLanguages();
  return languages.isEmpty() ? QLocale::system() : QLocale(languages.front());
}

/// Asked for as long as the program runs.
struct Translators {
  QTranslator ours, of_qt;
};
Translators& translators() {
  static auto* all = new Translators;
  return *all;
}

}  // namespace

void use_language(const QString& choice) {
  const QLocale texts = of_texts(choice);
  QLocale::setDefault(choice.isEmpty() || texts.language() == QLocale::system().language() ? QLocale::system() : texts);
  Language language;
  language.decimal_sign = QLocale().decimalPoint().toStdString();
  auto& [ours, of_qt] = translators();
  const bool windows = QCoreApplication::instance() != nullptr;  // the command line has none
  if (windows) QCoreApplication::removeTranslator(&ours), QCoreApplication::removeTranslator(&of_qt);
  const QString name = QStringLiteral("_") + QLocale::languageToCode(texts.language());
  if (ours.load(QStringLiteral("dot-lane") + name, QString::fromStdString(shipped("translations")))) {
    if (windows && of_qt.load(QStringLiteral("qtbase") + name, QLibraryInfo::path(QLibraryInfo::TranslationsPath)))
      QCoreApplication::installTranslator(&of_qt);
    if (windows) QCoreApplication::installTranslator(&ours);
    language.text = [](const std::string& english) {
      const QString text = translators().ours.translate("core", english.c_str());
      return text.isEmpty() ? english : text.toStdString();
    };
    language.code = QLocale::languageToCode(texts.language()).toStdString();
    language.names_are_small = texts.language() != QLocale::German;
  }
  set_language(std::move(language));
}

}  // namespace dotlane
