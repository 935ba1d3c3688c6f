// Nothing is cut off: in English and in German, in a small window. Run with a scale factor as well
// (tests/CMakeLists.txt).
#include <QLabel>
#include <set>

#include "driving.hpp"
#include "every_view.hpp"
#include "locale/language.hpp"

namespace dotlane::test {
namespace {

QString described(const QWidget* w, const QString& text) {
  return QString::fromLatin1(w->metaObject()->className()) + u' ' + w->objectName() + QStringLiteral(" “") + text +
         u'”';
}

/// The plain words of a label or button, without marks of shortcuts.
int needed_width(const QWidget* w, const QString& text) {
  int most = 0;
  for (const QString& line : text.split(QLatin1Char('\n')))
    most = std::max(most, w->fontMetrics().horizontalAdvance(line));
  return most;
}

/// What of the window does not fit where it is.
QStringList cut_off(QWidget& window) {
  QStringList out;
  for (QWidget* w : window.findChildren<QWidget*>()) {
    if (!w->isVisible() || w->isWindow() || w->window() != &window) continue;
    // Beyond the right edge of what it lies in.
    QWidget* parent = w->parentWidget();
    const bool view = qobject_cast<QAbstractItemView*>(parent) ||
                      (parent->parentWidget() && qobject_cast<QAbstractItemView*>(parent->parentWidget()));
    if (!view && w->x() + w->width() > parent->width() + 1 && w->width() > 0 && w->layoutDirection() == Qt::LeftToRight)
      out << described(w, QStringLiteral("%1 px past the edge of %2")
                              .arg(w->x() + w->width() - parent->width())
                              .arg(QString::fromLatin1(parent->metaObject()->className())));
    if (const auto* label = qobject_cast<QLabel*>(w); label && !label->text().isEmpty()) {
      if (label->wordWrap()) {
        const int high = label->heightForWidth(label->width());
        if (high > label->height() + 2) out << described(w, label->text());
      } else if (!label->text().contains(QLatin1Char('<')) &&
                 needed_width(w, label->text()) > label->contentsRect().width() + 1) {
        out << described(w, label->text());
      }
    } else if (const auto* button = qobject_cast<QAbstractButton*>(w); button && !button->text().isEmpty()) {
      const QString words = QString(button->text()).remove(QLatin1Char('&'));
      const int icon = button->icon().isNull() ? 0 : button->iconSize().width() + 4;
      if (needed_width(w, words) + icon > button->width()) out << described(w, words);
    } else if (const auto* box = qobject_cast<QComboBox*>(w)) {
      if (needed_width(w, box->currentText()) + 20 > box->width()) out << described(w, box->currentText());
    } else if (const auto* line = qobject_cast<QLineEdit*>(w); line && line->isReadOnly() == false) {
      if (line->text().size() < 24 && needed_width(w, line->text()) > line->width()) out << described(w, line->text());
    }
  }
  return out;
}

}  // namespace

TEST_CASE("nothing is cut off in any view, in English and German, in a window of 1024 x 700", "[scaled]") {
  const char* language = GENERATE("C", "de");
  struct Speaking {
    explicit Speaking(const char* which) { use_language(QString::fromLatin1(which)); }
    ~Speaking() { use_language(QStringLiteral("C")); }
  } speaking(language);
  std::set<QString> wrong;
  const auto measure = [&](Opened& o, QWidget& shown, const char* view) {
    for (const QSize size : {QSize(1024, 700), QSize(1280, 800)}) {
      if (&shown == &o.window) o.window.resize(size), QTest::qWait(1);
      for (const QString& text : cut_off(shown)) wrong.insert(QString::fromLatin1(view) + ": " + text);
    }
  };
  every_view(QStringLiteral("lighthouse-card"), measure);
  if (qApp->devicePixelRatio() == 1.0) {  // at other scales only rounding differs
    for (const char* name : {"fair-invitation", "fern-stencil", "painted-lantern"})
      every_piece(QString::fromLatin1(name), measure);
  }
  INFO(language);
  for (const QString& text : wrong) FAIL_CHECK(text.toStdString());
}

}  // namespace dotlane::test
