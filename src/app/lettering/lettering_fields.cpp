#include "app/lettering/lettering_fields.hpp"

#include <QFormLayout>
#include <QHBoxLayout>
#include <QLabel>
#include <QMenu>
#include <QPlainTextEdit>
#include <QPushButton>
#include <QVBoxLayout>
#include <set>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text/unicode.hpp"
#include "core/text_scan.hpp"

namespace dotlane {
namespace {

constexpr int kTextWidth = 88;  // px of a button's words, so that the column keeps its width

std::string text_value(const Typing& typing, const char* key) {
  return Reading(*find_kind(shape_kinds(), "lettering"), typing.values()).text(key);
}

// --- words -----------------------------------------------------------------------------------------------------------

class WordsField : public QPlainTextEdit {
 public:
  WordsField(Typing& typing, QWidget* parent) : QPlainTextEdit(parent), typing_(typing) {
    setTabChangesFocus(true);
    setFixedHeight(58);
    setPlaceholderText(QObject::tr("Type here, or on the bench with F2"));
    setUndoRedoEnabled(false);  // the project's own undo takes words back
    connect(this, &QPlainTextEdit::textChanged, this, [this] {
      if (!following_) typing_.retype(characters_of(toPlainText().toStdString()), place());
    });
    connect(this, &QPlainTextEdit::cursorPositionChanged, this, [this] {
      // While a key is being taken the cursor moves before the text is told; that is heard above.
      if (following_ || !hasFocus() || toPlainText() != qs(text_value(typing_, "text"))) return;
      typing_.follow(typing_.piece(), place());
    });
    connect(&typing_, &Typing::changed, this, [this] { follow(); });
    follow();
  }

 private:
  /// The cursor counted in characters, not in UTF-16.
  [[nodiscard]] std::size_t place() const {
    return characters_of(toPlainText().left(textCursor().position()).toStdString()).size();
  }
  void follow() {
    const QString now = qs(text_value(typing_, "text"));
    if (now == toPlainText()) return;
    following_ = true;
    setPlainText(now);
    QTextCursor cursor = textCursor();
    const auto before = std::u32string_view(typing_.lettering().text).substr(0, typing_.caret());
    cursor.setPosition(
        static_cast<int>(QString::fromUcs4(before.data(), static_cast<qsizetype>(before.size())).size()));
    setTextCursor(cursor);
    following_ = false;
  }
  Typing& typing_;
  bool following_ = false;
};

// --- features --------------------------------------------------------------------------------------------------------

/// Features that fonts use to work at all, not to be chosen.
bool is_inner(const std::string& tag) {
  static const std::set<std::string> inner{"aalt", "abvm", "blwm", "ccmp", "cpsp", "dnom", "fina",
                                           "init", "isol", "kern", "locl", "mark", "medi", "mkmk",
                                           "numr", "rclt", "rlig", "rvrn", "size", "sinf"};
  return inner.contains(tag);
}
bool is_standard(const std::string& tag) { return tag == "liga" || tag == "calt" || tag == "clig"; }

/// Settings for the whole text by tag; those for single characters stay as they are.
struct FeatureList {
  explicit FeatureList(const std::string& text) {
    for (const auto part : split(text, ',')) {
      if (!trimmed(part).empty()) entries.emplace_back(trimmed(part));
    }
  }
  [[nodiscard]] bool on(const std::string& tag) const {
    bool out = is_standard(tag);
    for (const auto& e : entries) {
      if (e == tag || e == "+" + tag) out = true;
      if (e == "-" + tag) out = false;
    }
    return out;
  }
  void set(const std::string& tag, bool want) {
    std::erase_if(entries, [&](const std::string& e) { return e == tag || e == "+" + tag || e == "-" + tag; });
    if (want != is_standard(tag)) entries.push_back(want ? tag : "-" + tag);
  }
  [[nodiscard]] std::string text() const {
    std::string out;
    for (const auto& e : entries) out += (out.empty() ? "" : ", ") + e;
    return out;
  }
  std::vector<std::string> entries;
};

class FeaturesField : public QPushButton {
 public:
  FeaturesField(Typing& typing, QWidget* parent) : QPushButton(parent), typing_(typing) {
    set_kind(this, "chip");
    auto* menu = new QMenu(this);
    setMenu(menu);
    connect(menu, &QMenu::aboutToShow, this, [this, menu] { fill(*menu); });
    connect(&typing_, &Typing::changed, this, [this] { follow(); });
    follow();
  }

 private:
  void follow() {
    const FeatureList list(text_value(typing_, "features"));
    QStringList names;
    for (const auto& e : list.entries) {
      std::string tag = e;
      if (tag.starts_with("+") || tag.starts_with("-")) tag.erase(0, 1);
      const std::string bare = tag.substr(0, tag.find_first_of("=["));
      names.append((e.starts_with("-") ? QObject::tr("no %1") : QStringLiteral("%1")).arg(feature_name(bare)));
    }
    const QString all = names.isEmpty() ? QObject::tr("as the typeface does") : names.join(QStringLiteral(", "));
    setText(QFontMetrics(font()).elidedText(all, Qt::ElideRight, kTextWidth));
    setToolTip(all);
  }
  void fill(QMenu& menu) {
    menu.clear();
    const auto& face = typing_.lettering().face;
    const auto [from, to] = typing_.marked();
    if (from != to) menu.addAction(QObject::tr("For the marked letters"))->setEnabled(false);
    const FeatureList list(text_value(typing_, "features"));
    for (const auto& tag : face ? face->about().features : std::vector<std::string>{}) {
      if (is_inner(tag)) continue;
      QAction* action = menu.addAction(feature_name(tag));
      action->setCheckable(true);
      const std::string range = "[" + std::to_string(from) + ":" + std::to_string(to) + "]";
      const std::string on_range = tag + range;
      const bool has_range = std::find(list.entries.begin(), list.entries.end(), on_range) != list.entries.end();
      action->setChecked(from == to ? list.on(tag) : has_range);
      connect(action, &QAction::triggered, this, [this, tag, from = from, to = to, on_range](bool on) {
        FeatureList next(text_value(typing_, "features"));
        if (from == to) {
          next.set(tag, on);
        } else if (on) {
          next.entries.push_back(on_range);
        } else {
          std::erase(next.entries, on_range);
        }
        Values values = typing_.values();
        values["features"] = next.text();
        typing_.change(values, QObject::tr("Change features"));
      });
    }
    if (menu.isEmpty()) menu.addAction(QObject::tr("This typeface has none"))->setEnabled(false);
  }
  Typing& typing_;
};

// --- axes ------------------------------------------------------------------------------------------------------------

class AxesField : public QWidget {
 public:
  AxesField(Typing& typing, Session& session, QWidget* parent) : QWidget(parent), typing_(typing), session_(session) {
    form_ = new QFormLayout(this);
    form_->setContentsMargins(0, 0, 0, 0);
    form_->setVerticalSpacing(1);
    connect(&typing_, &Typing::changed, this, [this] { follow(); });
    follow();
  }

 private:
  void follow() {
    const auto& face = typing_.lettering().face;
    if (face.get() && face->about().name == shown_ && fields_.size() == face->about().axes.size()) return show();
    while (form_->rowCount() > 0) form_->removeRow(0);
    fields_.clear();
    shown_ = face ? face->about().name : "";
    for (const auto& axis : face ? face->about().axes : std::vector<FaceAxis>{}) {
      auto* field = new NumberField(qs(axis.name), NumberField::Kind::plain, this, {}, 0);
      field->setRange(axis.low, axis.high);
      field->setObjectName(QStringLiteral("axis-") + qs(axis.tag));
      form_->addRow(make_label(qs(axis.name), "quiet", this), field);
      fields_.emplace_back(axis, field);
      connect(field, &NumberField::edited, this, [this, tag = axis.tag](double v) {
        AxisValues axes = axes_from(text_value(typing_, "axes"));
        axes[tag] = v;
        std::string text;
        for (const auto& [t, value] : axes) text += (text.empty() ? "" : ", ") + t + "=" + rounded_text(value, 3);
        Values values = typing_.values();
        values["axes"] = text;
        typing_.change(values, QObject::tr("Change an axis"), "axis-" + tag);
      });
      connect(field, &NumberField::committed, &session_, &Session::seal);
    }
    show();
  }
  void show() {
    const AxisValues axes = axes_from(text_value(typing_, "axes"));
    for (const auto& [axis, field] : fields_)
      field->setValue(axes.contains(axis.tag) ? axes.at(axis.tag) : axis.standard);
    setProperty("idle", fields_.empty());
  }
  Typing& typing_;
  Session& session_;
  QFormLayout* form_;
  std::string shown_;
  std::vector<std::pair<FaceAxis, NumberField*>> fields_;
};

// --- single letters --------------------------------------------------------------------------------------------------

class LetterField : public QWidget {
 public:
  LetterField(Typing& typing, Session& session, QWidget* parent) : QWidget(parent), typing_(typing), session_(session) {
    auto* column = new QVBoxLayout(this);
    column->setContentsMargins(0, 0, 0, 0);
    column->setSpacing(1);
    auto* top = new QHBoxLayout;
    name_ = make_label({}, "name", this);
    name_->setObjectName(QStringLiteral("letterName"));
    top->addWidget(name_, 1);
    reset_ = new QPushButton(QObject::tr("Put back"), this);
    reset_->setObjectName(QStringLiteral("letterReset"));
    set_kind(reset_, "chip");
    top->addWidget(reset_);
    column->addLayout(top);
    auto* form = new QFormLayout;
    form->setContentsMargins(0, 0, 0, 0);
    form->setVerticalSpacing(1);
    column->addLayout(form);
    const QString units[] = {{}, {}, {}, QStringLiteral("°"), QStringLiteral("%")};
    const QString labels[] = {QObject::tr("space before"), QObject::tr("to the right"), QObject::tr("down"),
                              QObject::tr("turned"), QObject::tr("scaled")};
    for (int i = 0; i < 5; ++i) {
      fields_[i] =
          new NumberField(labels[i], i < 3 ? NumberField::Kind::length : NumberField::Kind::plain, this, units[i], 1);
      fields_[i]->setObjectName(QStringLiteral("letter-%1").arg(i));
      fields_[i]->setRange(i == 4 ? 5 : i == 3 ? -360 : -500, i == 4 ? 1000 : i == 3 ? 360 : 500);
      auto* label = make_label(labels[i], "quiet", this);
      label->setFixedWidth(84);
      form->addRow(label, fields_[i]);
      connect(fields_[i], &NumberField::edited, this, [this, i](double v) { set(i, v); });
      connect(fields_[i], &NumberField::committed, &session_, &Session::seal);
    }
    connect(reset_, &QPushButton::clicked, this, [this] {
      if (const auto at = character())
        typing_.change(with_letter_move(typing_.values(), {*at}), QObject::tr("Put a letter back"));
    });
    connect(&typing_, &Typing::changed, this, [this] { follow(); });
    follow();
  }

 private:
  [[nodiscard]] std::optional<std::size_t> character() const {
    const auto letter = typing_.letter();
    return letter ? std::optional(typing_.lettering().letters[*letter].first) : std::nullopt;
  }
  [[nodiscard]] LetterMove move() const {
    LetterMove out{character().value_or(0)};
    for (const auto& m : letter_moves(typing_.values())) {
      if (m.character == out.character) out = m;
    }
    return out;
  }
  void set(int column, double v) {
    if (!character()) return;
    LetterMove m = move();
    double* places[] = {&m.before, &m.right, &m.down, &m.turn, &m.percent};
    *places[column] = v;
    typing_.change(with_letter_move(typing_.values(), m), QObject::tr("Move a letter"),
                   "letter-" + std::to_string(m.character) + "-" + std::to_string(column));
  }
  void follow() {
    const auto letter = typing_.letter();
    name_->setText(letter ? QObject::tr("letter “%1”").arg(qs(name_of(typing_.lettering(), *letter)))
                          : QObject::tr("no letter at the caret"));
    const LetterMove m = move();
    const double values[] = {m.before, m.right, m.down, m.turn, m.percent};
    for (int i = 0; i < 5; ++i) {
      fields_[i]->setEnabled(letter.has_value());
      fields_[i]->setValue(values[i], session_.project().unit);
    }
    reset_->setEnabled(!(m == LetterMove{m.character}));
  }
  Typing& typing_;
  Session& session_;
  QLabel* name_;
  QPushButton* reset_;
  NumberField* fields_[5];
};

/// A button whose words follow the lettering.
class FollowButton : public QPushButton {
 public:
  FollowButton(Typing& typing, QWidget* parent, std::function<QString()> words, const std::function<void()>& run)
      : QPushButton(parent), words_(std::move(words)) {
    set_kind(this, "chip");
    connect(&typing, &Typing::changed, this, [this] { follow(); });
    connect(this, &QPushButton::clicked, this, [run] { run(); });
    follow();
  }

 private:
  void follow() {
    const QString all = words_();
    setText(QFontMetrics(font()).elidedText(all, Qt::ElideRight, kTextWidth));
    setToolTip(all);
  }
  std::function<QString()> words_;
};

}  // namespace

QString feature_name(const std::string& tag) {
  static const std::map<std::string, QString> names{{"liga", QObject::tr("ligatures")},
                                                    {"dlig", QObject::tr("rare ligatures")},
                                                    {"hlig", QObject::tr("old ligatures")},
                                                    {"clig", QObject::tr("ligatures by context")},
                                                    {"calt", QObject::tr("forms by context")},
                                                    {"swsh", QObject::tr("swashes")},
                                                    {"cswh", QObject::tr("swashes by context")},
                                                    {"salt", QObject::tr("other forms")},
                                                    {"smcp", QObject::tr("small capitals")},
                                                    {"c2sc", QObject::tr("capitals made small")},
                                                    {"onum", QObject::tr("old-style figures")},
                                                    {"lnum", QObject::tr("lining figures")},
                                                    {"pnum", QObject::tr("figures of own width")},
                                                    {"tnum", QObject::tr("figures of one width")},
                                                    {"frac", QObject::tr("fractions")},
                                                    {"sups", QObject::tr("raised")},
                                                    {"subs", QObject::tr("lowered")},
                                                    {"ordn", QObject::tr("ordinals")},
                                                    {"case", QObject::tr("signs for capitals")},
                                                    {"zero", QObject::tr("crossed zero")},
                                                    {"hist", QObject::tr("old forms")},
                                                    {"titl", QObject::tr("titling forms")}};
  if (const auto known = names.find(tag); known != names.end()) return known->second;
  if (tag.size() == 4 && tag.starts_with("ss")) return QObject::tr("style set %1").arg(qs(tag.substr(2)));
  if (tag.size() == 4 && tag.starts_with("cv")) return QObject::tr("letter variant %1").arg(qs(tag.substr(2)));
  return qs(tag);
}

QWidget* make_lettering_field(const ValueSpec& spec, const LetteringDesk& desk, Session& session, QWidget* parent) {
  Typing& typing = *desk.typing;
  QWidget* field = nullptr;
  if (spec.key == "text") {
    field = new WordsField(typing, parent);
  } else if (spec.key == "font") {
    field = new FollowButton(
        typing, parent, [&typing] { return qs(text_value(typing, "font")); }, desk.chooseFace);
  } else if (spec.key == "features") {
    field = new FeaturesField(typing, parent);
  } else if (spec.key == "letterforms") {
    field = new FollowButton(
        typing, parent,
        [&typing] {
          const auto chosen = split(text_value(typing, "letterforms"), '=').size() - 1;
          return chosen == 0 ? QObject::tr("choose…") : QObject::tr("%1 chosen…").arg(chosen);
        },
        desk.pickForms);
  } else if (spec.key == "axes") {
    field = new AxesField(typing, session, parent);
  } else if (spec.key == "letters") {
    field = new LetterField(typing, session, parent);
  } else {
    return nullptr;
  }
  field->setObjectName(QStringLiteral("value-") + qs(spec.key));
  field->setAccessibleName(worded(spec.label));
  field->setSizePolicy(QSizePolicy::Ignored, field->sizePolicy().verticalPolicy());
  return field;
}

}  // namespace dotlane
