#include "app/lettering/letterform_picker.hpp"

#include <QHBoxLayout>
#include <QLabel>
#include <QPointer>
#include <QPushButton>
#include <QShortcut>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <numeric>
#include <set>

#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/geometry/measure.hpp"
#include "core/text/shaping.hpp"
#include "core/text/unicode.hpp"
#include "render/letter_paint.hpp"

namespace dotlane {
namespace {

constexpr int kCell = 64;
constexpr int kIndex = Qt::UserRole;
constexpr char32_t kObject = 0xFFFC;

bool is_private(char32_t c) { return (c >= 0xE000 && c <= 0xF8FF) || c >= 0xF0000; }

class Cells : public QStyledItemDelegate {
 public:
  Cells(const std::shared_ptr<const Face>& face, const std::vector<PickerForm>& forms, QObject* parent)
      : QStyledItemDelegate(parent), face_(face), forms_(forms) {}
  QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return {kCell, kCell + 12}; }
  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
    const auto i = static_cast<std::size_t>(index.data(kIndex).toInt());
    if (!face_ || i >= forms_.size()) return;
    const Theme& t = theme();
    p->save();
    p->setRenderHint(QPainter::Antialiasing);
    const QRectF cell = QRectF(option.rect).adjusted(2, 2, -2, -2);
    const bool lit = option.state & (QStyle::State_Selected | QStyle::State_MouseOver);
    p->setPen(QPen(lit ? t.accent : t.hairline, 1));
    p->setBrush(lit ? t.accent_soft : t.field);
    p->drawRoundedRect(cell, 6, 6);
    const Glyph& glyph = face_->glyph(forms_[i].glyph);
    paint_letters(*p, cell.adjusted(8, 6, -8, -18), glyph.path, face_->about().single_stroke, t.ink, 42,
                  Qt::AlignHCenter);
    p->setFont(ui_font(10));
    p->setPen(t.quiet);
    p->drawText(
        cell.adjusted(3, 0, -3, -2), Qt::AlignHCenter | Qt::AlignBottom,
        QFontMetricsF(p->font()).elidedText(index.data(Qt::DisplayRole).toString(), Qt::ElideRight, cell.width() - 6));
    p->restore();
  }

 private:
  const std::shared_ptr<const Face>& face_;
  const std::vector<PickerForm>& forms_;
};

}  // namespace

std::vector<PickerForm> picker_forms(const Face& face) {
  std::vector<PickerForm> out;
  std::set<unsigned> seen{0};
  std::vector<char32_t> letters;
  auto add = [&](unsigned glyph, char32_t c, const QString& group, bool plain) {
    if (!seen.insert(glyph).second || face.glyph(glyph).path.contours.empty()) return;
    out.push_back({glyph, c, qs(face.glyph_name(glyph)), group, plain});
  };
  for (const auto& [c, glyph] : face.characters()) {
    const QString one = QString::fromUcs4(&c, 1);
    const bool letter = QChar::isLetterOrNumber(c);
    const bool ligature = c >= 0xFB00 && c <= 0xFB06;
    if (letter && !ligature) letters.push_back(c);
    const QChar::Category category = QChar::category(c);
    const bool ornament = is_private(c) || category == QChar::Symbol_Other || (c >= 0x2500 && c < 0x2800);
    add(glyph, c,
        ligature   ? QObject::tr("Ligatures")
        : ornament ? QObject::tr("Ornaments")
        : letter   ? QObject::tr("Letters")
                   : QObject::tr("Signs"),
        true);
  }
  // What features bring up, by the letters they do it for: the common ones of the face's own script.
  constexpr std::size_t kMostLetters = 400;
  if (letters.size() > kMostLetters) letters.resize(kMostLetters);
  for (const char32_t c : letters) {
    for (const auto& other : alternates_of(face, c)) {
      const bool swash = other.feature.starts_with("swsh") || other.feature.starts_with("cswh");
      add(other.glyph, c, swash ? QObject::tr("Swashes") : QObject::tr("Alternates"), false);
    }
  }
  // Pairs and triples that the face ties together.
  for (const char* text : {"ff", "fi", "fl", "ffi", "ffl", "fj", "ft", "tt", "th", "Th", "ct",
                           "st", "sp", "ch", "ck",  "ll",  "oo", "os", "or", "br", "Qu"}) {
    for (const char* feature : {"liga", "dlig", "hlig"}) {
      const auto characters = characters_of(text);
      const auto forms = face.shape(characters, {0, characters.size(), false, 0, true, {feature}});
      if (forms.size() == 1 && characters.size() > 1)
        add(forms.front().glyph, kObject, QObject::tr("Ligatures"), false);
    }
  }
  const unsigned first = face.about().single_stroke ? 1 : 0;
  for (unsigned glyph = first; glyph < face.about().glyphs + first; ++glyph)
    add(glyph, kObject,
        QString::fromStdString(face.glyph_name(glyph)).contains(QLatin1Char('_')) ? QObject::tr("Ligatures")
                                                                                  : QObject::tr("Others"),
        false);
  return out;
}

LetterformPicker::LetterformPicker(Session& session, Typing& typing, QWidget* parent)
    : QDialog(parent), session_(session), typing_(typing) {
  setObjectName(QStringLiteral("letterformPicker"));
  set_help(this, "lettering");
  setWindowTitle(tr("Letterforms"));
  resize(620, 520);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(12, 12, 12, 12);
  column->setSpacing(8);
  auto* top = new QHBoxLayout;
  group_ = new QComboBox(this);
  group_->setObjectName(QStringLiteral("formGroup"));
  group_->setAccessibleName(tr("Group of letterforms"));
  set_kind(group_, "boxed");
  group_->setMinimumWidth(190);
  top->addWidget(group_);
  search_ = new QLineEdit(this);
  search_->setObjectName(QStringLiteral("formSearch"));
  set_kind(search_, "boxed");
  search_->setPlaceholderText(tr("A character, or a name"));
  search_->setAccessibleName(tr("Search letterforms"));
  top->addWidget(search_, 1);
  column->addLayout(top);
  list_ = new QListWidget(this);
  list_->setObjectName(QStringLiteral("formList"));
  list_->setAccessibleName(tr("Letterforms"));
  list_->setViewMode(QListView::IconMode);
  list_->setResizeMode(QListView::Adjust);
  list_->setMovement(QListView::Static);
  list_->setUniformItemSizes(true);
  list_->setMouseTracking(true);
  list_->setItemDelegate(new Cells(face_, forms_, list_));
  column->addWidget(list_, 1);
  auto* bottom = new QHBoxLayout;
  count_ = make_label({}, "quiet", this);
  bottom->addWidget(count_, 1);
  auto* own = new QPushButton(tr("Its own form again"), this);
  own->setObjectName(QStringLiteral("ownForm"));
  connect(own, &QPushButton::clicked, this, [this] { typing_.insertForm(0, {}, true); });
  bottom->addWidget(own);
  auto* close = new QPushButton(tr("Close"), this);
  connect(close, &QPushButton::clicked, this, &QDialog::accept);
  bottom->addWidget(close);
  column->addLayout(bottom);
  connect(search_, &QLineEdit::textChanged, this, &LetterformPicker::fill);
  connect(group_, &QComboBox::currentIndexChanged, this, &LetterformPicker::fill);
  connect(list_, &QListWidget::itemClicked, this, &LetterformPicker::use);
  auto* enter = new QShortcut(Qt::Key_Return, list_, nullptr, nullptr, Qt::WidgetShortcut);
  connect(enter, &QShortcut::activated, this, [this] {
    if (list_->currentItem()) use(list_->currentItem());
  });
  connect(&typing_, &Typing::changed, this, &LetterformPicker::load);
  load();
  search_->setFocus();
}

void LetterformPicker::load() {
  const Lettering& lettering = typing_.lettering();
  const auto letter = typing_.letter();
  const char32_t at = letter ? lettering.text[lettering.letters[*letter].first] : 0;
  if (lettering.face == face_ && at == at_) return;
  at_ = at;
  if (lettering.face == face_) {
    if (group_->count() > 0) group_->setItemText(0, at_ ? tr("For %1").arg(qs(spoken_of(at_))) : tr("For the letter"));
    if (group_->currentIndex() <= 1) fill();
    return;
  }
  face_ = lettering.face;
  forms_.clear();
  list_->clear();
  if (!face_) return;
  count_->setText(tr("being listed…"));
  session_.aside([guard = QPointer<LetterformPicker>(this), face = face_] {
    auto forms = std::make_shared<std::vector<PickerForm>>(picker_forms(*face));
    return [guard, face, forms] {
      if (!guard || guard->face_ != face) return;
      guard->forms_ = std::move(*forms);
      const QSignalBlocker quiet(guard->group_);
      guard->group_->clear();
      guard->group_->addItem(guard->at_ ? tr("For %1").arg(qs(spoken_of(guard->at_))) : tr("For the letter"));
      guard->group_->addItem(tr("All"));
      std::set<QString> groups;
      for (const auto& form : guard->forms_) groups.insert(form.group);
      for (const QString& g : {tr("Letters"), tr("Signs"), tr("Alternates"), tr("Swashes"), tr("Ligatures"),
                               tr("Ornaments"), tr("Others")}) {
        if (groups.contains(g)) guard->group_->addItem(g, g);
      }
      guard->group_->setCurrentIndex(1);
      guard->fill();
    };
  });
}

void LetterformPicker::fill() {
  const QString typed = search_->text().trimmed(), group = group_->currentData().toString();
  const bool own = group_->currentIndex() == 0 && typed.isEmpty();
  const auto wanted = characters_of(typed.toStdString());
  list_->clear();
  std::size_t shown = 0;
  // The forms of the letter at the caret come first.
  std::vector<std::size_t> order(forms_.size());
  std::iota(order.begin(), order.end(), std::size_t{0});
  std::stable_partition(order.begin(), order.end(), [&](std::size_t i) { return forms_[i].character == at_; });
  for (const std::size_t i : order) {
    const auto& form = forms_[i];
    if (own && form.character != at_) continue;
    if (!group.isEmpty() && form.group != group) continue;
    const QString code =
        QStringLiteral("U+%1").arg(static_cast<uint>(form.character), 4, 16, QLatin1Char('0')).toUpper();
    if (!typed.isEmpty() && !(wanted.size() == 1 && wanted.front() == form.character) &&
        !form.name.contains(typed, Qt::CaseInsensitive) && !code.startsWith(typed, Qt::CaseInsensitive))
      continue;
    auto* item = new QListWidgetItem(form.name, list_);
    item->setData(kIndex, static_cast<int>(i));
    item->setToolTip(form.name +
                     (form.character == kObject ? QString() : QStringLiteral("  ") + qs(spoken_of(form.character))) +
                     QStringLiteral("  ·  ") + form.group);
    ++shown;
  }
  count_->setText(shown == 0 && own ? tr("It has one form only; see All.") : counted(shown, tr("form"), tr("forms")));
}

void LetterformPicker::use(QListWidgetItem* item) {
  const auto i = static_cast<std::size_t>(item->data(kIndex).toInt());
  if (i >= forms_.size()) return;
  const PickerForm form = forms_[i];
  // Another form of the letter at the caret takes its place; anything else is put in.
  const bool replace = form.character == at_ && at_ != 0;
  typing_.insertForm(form.character, form.plain ? std::string() : form.name.toStdString(), replace);
}

}  // namespace dotlane
