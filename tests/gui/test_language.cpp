// The whole window in German: every view is gone through, and all that is painted or told by name is heard.
#include <QAbstractItemView>
#include <QLocale>
#include <QPaintEngine>
#include <QRegularExpression>
#include <QTranslator>
#include <set>

#include "driving.hpp"
#include "every_view.hpp"
#include "locale/language.hpp"
#include "words/language.hpp"

namespace dotlane::test {
namespace {

/// Hears every text that is painted on it.
class Listener : public QPaintDevice {
 public:
  explicit Listener(QSize size) : size_(size) {}
  QStringList heard;
  QPaintEngine* paintEngine() const override { return &engine_; }

 protected:
  int metric(PaintDeviceMetric m) const override {
    switch (m) {
      case PdmWidth:
        return size_.width();
      case PdmHeight:
        return size_.height();
      case PdmWidthMM:
        return size_.width() * 254 / 960;
      case PdmHeightMM:
        return size_.height() * 254 / 960;
      case PdmDpiX:
      case PdmDpiY:
      case PdmPhysicalDpiX:
      case PdmPhysicalDpiY:
        return 96;
      case PdmDevicePixelRatio:
        return 1;
      case PdmDevicePixelRatioScaled:
        return static_cast<int>(devicePixelRatioFScale());
      default:
        return 32;
    }
  }

 private:
  struct Engine : QPaintEngine {
    explicit Engine(Listener* listener) : QPaintEngine(AllFeatures), of(listener) {}
    Listener* of;
    bool begin(QPaintDevice*) override { return true; }
    bool end() override { return true; }
    void updateState(const QPaintEngineState&) override {}
    void drawPixmap(const QRectF&, const QPixmap&, const QRectF&) override {}
    void drawPolygon(const QPointF*, int, PolygonDrawMode) override {}
    void drawPath(const QPainterPath&) override {}
    void drawTextItem(const QPointF&, const QTextItem& item) override { of->heard << item.text(); }
    Type type() const override { return User; }
  };
  QSize size_;
  mutable Engine engine_{this};
};

void add_model(QStringList& out, const QAbstractItemModel& model, const QModelIndex& parent = {}) {
  for (int row = 0; row < model.rowCount(parent); ++row) {
    const QModelIndex at = model.index(row, 0, parent);
    for (const int role : {static_cast<int>(Qt::DisplayRole), static_cast<int>(Qt::ToolTipRole),
                           static_cast<int>(Qt::AccessibleTextRole)})
      out << at.data(role).toString();
    add_model(out, model, at);
  }
}

/// All that a widget and what is in it say: painted, pointed at, or read aloud.
QStringList told_by(QWidget& window, bool painted) {
  QStringList out;
  if (painted) {
    Listener listener(window.size());
    window.render(&listener);
    out << listener.heard;
  }
  QList<QWidget*> all = window.findChildren<QWidget*>();
  all.prepend(&window);
  for (QWidget* w : all) {
    if (!w->isVisible()) continue;
    out << w->toolTip() << w->accessibleName() << w->accessibleDescription() << w->windowTitle();
    if (const auto* label = qobject_cast<QLabel*>(w)) out << label->text();
    if (const auto* button = qobject_cast<QAbstractButton*>(w)) out << button->text();
    if (const auto* line = qobject_cast<QLineEdit*>(w)) out << line->placeholderText();
    if (const auto* box = qobject_cast<QComboBox*>(w)) {
      for (int i = 0; i < box->count(); ++i) out << box->itemText(i);
    }
    if (const auto* view = qobject_cast<QAbstractItemView*>(w); view && view->model()) add_model(out, *view->model());
    for (const QAction* action : w->actions()) out << action->text() << action->toolTip();
  }
  out.removeAll(QString());
  out.removeDuplicates();
  return out;
}

/// Speaks a language for as long as it lives.
struct Speaking {
  explicit Speaking(const char* which) { use_language(QString::fromLatin1(which)); }
  ~Speaking() { use_language(QStringLiteral("C")); }
};

/// Marks whatever was asked for, so that what was not stands out.
struct Marking : QTranslator {
  [[nodiscard]] bool isEmpty() const override { return false; }
  QString translate(const char*, const char* text, const char*, int) const override {
    return QChar(0x27E6) + QString::fromUtf8(text) + QChar(0x27E7);
  }
};

/// Names that the demo gives: of pieces, stocks, tools, sheets, files.
std::set<QString> names_in(const Project& p) {
  std::set<QString> out{qs(p.name), QStringLiteral("Dot Lane")};
  const auto add = [&](const std::string& name) {
    for (const QString& word : qs(name).split(QRegularExpression(QStringLiteral("[^\\p{L}]+")), Qt::SkipEmptyParts))
      out.insert(word.toLower());
  };
  add(p.name), add(p.machine.name);
  for (const auto& piece : p.pieces) {
    add(piece->name), add(piece->group);
    for (const auto& line : piece->lines) add(line.id), add(line.layer);
  }
  add("openings");  // the name of a line that a step makes
  for (const auto& stock : p.stocks) add(stock.name);
  for (const auto& tool : p.tools) add(tool.name);
  return out;
}

constexpr const char* kOtherDemos[] = {"fair-invitation", "fern-stencil", "moorings-tag"};

}  // namespace

TEST_CASE("in German no view of the demo says anything in English") {
  const Speaking german("de");
  REQUIRE(in_words("Rectangle") == "Rechteck");
  // Words of English that are none of German.
  const std::set<QString> english{"the",   "and",   "of",     "is",    "are",   "with",  "not",  "to",     "for",
                                  "it",    "from",  "by",     "this",  "that",  "which", "no",   "be",     "at",
                                  "as",    "than",  "where",  "when",  "what",  "these", "only", "line",   "lines",
                                  "sheet", "piece", "pieces", "tool",  "cut",   "draw",  "pass", "passes", "undo",
                                  "save",  "open",  "size",   "width", "height"};
  std::set<QString> wrong;
  std::size_t heard = 0;
  const auto listen = [&](Opened& o, QWidget& shown, const char* view) {
    const std::set<QString> names = names_in(o.project());
    for (const QString& text : told_by(shown, true)) {
      ++heard;
      for (const QString& word : text.split(QRegularExpression(QStringLiteral("[^\\p{L}]+")), Qt::SkipEmptyParts)) {
        if (english.contains(word.toLower()) && !names.contains(word.toLower()))
          wrong.insert(QString::fromLatin1(view) + ": " + text);
      }
    }
  };
  every_view(QStringLiteral("lighthouse-card"), listen);
  for (const char* name : kOtherDemos) every_piece(QString::fromLatin1(name), listen);
  CHECK(heard > 1500);
  for (const QString& text : wrong) FAIL_CHECK(text.toStdString());
}

TEST_CASE("no text of a view stands in the program untranslatable") {
  Marking marking;
  QCoreApplication::installTranslator(&marking);
  set_language({"en", [](const std::string& text) { return "\u27E6" + text + "\u27E7"; }, ".", false});
  const Speaking afterwards("C");
  set_language({"en", [](const std::string& text) { return "\u27E6" + text + "\u27E7"; }, ".", false});
  std::set<QString> wrong;
  const auto listen = [&](Opened& o, QWidget& shown, const char* view) {
    const std::set<QString> names = names_in(o.project());
    for (QString text : told_by(shown, false)) {
      const QString whole = text;
      while (true) {  // innermost first
        const QString without =
            QString(text).remove(QRegularExpression(QStringLiteral("\u27E6[^\u27E6\u27E7]*\u27E7")));
        if (without == text) break;
        text = without;
      }
      text.remove(QRegularExpression(QStringLiteral("\u27E6.*$")));  // cut short
      text.remove(QRegularExpression(QStringLiteral("<[^>]*>")));
      text.remove(QRegularExpression(QStringLiteral("\\S*\\.(dotlane|svg|png)")));  // files
      for (const QString& word : text.split(QRegularExpression(QStringLiteral("[^\\p{L}]+")), Qt::SkipEmptyParts)) {
        if (word.size() > 2 && !names.contains(word.toLower())) wrong.insert(QString::fromLatin1(view) + ": " + whole);
      }
    }
  };
  every_view(QStringLiteral("lighthouse-card"), listen);
  for (const char* name : kOtherDemos) every_piece(QString::fromLatin1(name), listen);
  QCoreApplication::removeTranslator(&marking);
  for (const QString& text : wrong) FAIL_CHECK(text.toStdString());
}

}  // namespace dotlane::test
