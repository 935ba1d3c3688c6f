#include "app/lettering/typing.hpp"

#include <QClipboard>
#include <QGuiApplication>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/arrow_keys.hpp"
#include "core/project/edit.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text/unicode.hpp"

namespace dotlane {
namespace {

constexpr int kBlinkMs = 530;
constexpr double kReachPx = 14;

double distance_to_stroke(Vec p, Vec a, Vec b) { return distance_to(Polyline{{a, b}, false}, p); }

}  // namespace

Typing::Typing(Session& session, QObject* parent) : QObject(parent), session_(session) {
  connect(&blink_, &QTimer::timeout, this, [this] {
    lit_ = !lit_;
    emit changed();
  });
  connect(&session_, &Session::changed, this, [this] { refresh(); });
  connect(&session_, &Session::selectionChanged, this, [this] {
    const auto pieces = session_.selectedPieces();
    const int now = pieces.size() == 1 ? pieces.front() : 0;
    if (now == piece_) return;
    end();
    const Piece* piece = find_piece(session_.project(), now);
    piece_ = piece && piece->source.kind == "lettering" ? now : 0;
    caret_ = anchor_ = 0;
    refresh();
    if (piece_ != 0) caret_ = anchor_ = lettering_.text.size();
    emit changed();
  });
}

Values Typing::values() const {
  const Piece* piece = find_piece(session_.project(), piece_);
  return piece && piece->source.kind == "lettering" ? piece->source.values : Values{};
}

Affine Typing::toMat() const {
  const Piece* piece = find_piece(session_.project(), piece_);
  return piece ? piece->placement : Affine{};
}

void Typing::refresh() {
  const Piece* piece = find_piece(session_.project(), piece_);
  if (!piece || piece->source.kind != "lettering") {
    if (piece_ != 0) end();
    piece_ = 0;
    lettering_ = {};
    shown_.clear();
    return;
  }
  if (!lettering_.face || shown_ != piece->source.values) {
    shown_ = piece->source.values;
    lettering_ = set_lettering(shown_);
  }
  caret_ = std::min(caret_, lettering_.text.size());
  anchor_ = std::min(anchor_, lettering_.text.size());
  emit changed();
}

void Typing::begin(int piece, std::optional<Vec> at) {
  piece_ = piece;
  refresh();
  if (piece_ == 0) return;
  anchor_ = at ? nearest(*at) : 0;
  caret_ = at ? anchor_ : lettering_.text.size();
  in_word_ = false;
  lit_ = true;
  blink_.start(kBlinkMs);
  session_.seal();
  if (!active_) {
    active_ = true;
    emit activeChanged(true);
  }
  emit changed();
}

void Typing::end() {
  if (!active_) return;
  active_ = false;
  anchor_ = caret_;
  blink_.stop();
  session_.seal();
  emit activeChanged(false);
  emit changed();
}

void Typing::follow(int piece, std::size_t caret) {
  if (piece != piece_) {
    piece_ = piece;
    refresh();
  }
  caret_ = anchor_ = std::min(caret, lettering_.text.size());
  emit changed();
}

std::optional<std::size_t> Typing::letter() const {
  std::optional<std::size_t> before, after;
  for (std::size_t i = 0; i < lettering_.letters.size(); ++i) {
    const Letter& l = lettering_.letters[i];
    if (caret_ > l.first && caret_ <= l.last) before = i;
    if (caret_ == l.first) after = i;
  }
  return before ? before : after;
}

void Typing::change(const Values& next, const QString& label, const std::string& merge) {
  session_.commit(set_source_values(session_.project(), piece_, next), label, merge);
}

void Typing::replaceText(const std::u32string& text, std::size_t caret, const QString& label) {
  const std::string key = "type-" + std::to_string(piece_) + "-" + std::to_string(word_);
  auto next = set_source_value(session_.project(), piece_, "text", utf8_of(text));
  if (!next) return;
  caret_ = anchor_ = caret;
  lit_ = true;
  session_.commit(std::move(*next), label, key);
}

void Typing::insert(const std::u32string& text) {
  if (piece_ == 0) return;
  const std::size_t from = std::min(caret_, anchor_), to = std::max(caret_, anchor_);
  // A word starts anew at the space before it, and where the caret was moved.
  const bool blank = !text.empty() && is_blank(text.front());
  if (!in_word_ || (blank && text.size() == 1)) ++word_;
  in_word_ = true;
  std::u32string whole = lettering_.text;
  whole.replace(from, to - from, text);
  replaceText(whole, from + text.size(), tr("Type"));
}

void Typing::retype(const std::u32string& text, std::size_t caret) {
  if (piece_ == 0 || text == lettering_.text) return;
  const bool blank = caret > 0 && caret <= text.size() && is_blank(text[caret - 1]);
  if (!in_word_ || blank) ++word_;
  in_word_ = true;
  replaceText(text, caret, tr("Type"));
}

void Typing::insertForm(char32_t character, const std::string& form, bool replace) {
  if (piece_ == 0) return;
  if (replace) {
    if (const auto at = letter())
      change(with_letterform(values(), lettering_.letters[*at].first, form), tr("Choose a letterform"));
    return;
  }
  const std::size_t from = std::min(caret_, anchor_), to = std::max(caret_, anchor_);
  std::u32string whole = lettering_.text;
  whole.replace(from, to - from, 1, character);
  Values next = with_text(values(), utf8_of(whole));
  if (!form.empty()) next = with_letterform(std::move(next), from, form);
  caret_ = anchor_ = from + 1;
  change(next, tr("Put in a letterform"));
}

void Typing::moveTo(std::size_t caret, bool extend) {
  caret_ = std::min(caret, lettering_.text.size());
  if (!extend) anchor_ = caret_;
  in_word_ = false;
  lit_ = true;
  session_.seal();
  emit changed();
}

std::size_t Typing::nearest(Vec at) const {
  const Vec p = toMat().inverse()(at);
  std::size_t best = 0;
  double least = std::numeric_limits<double>::infinity();
  for (std::size_t i = 0; i < lettering_.carets.size(); ++i) {
    const double d = distance_to_stroke(p, lettering_.carets[i].foot, lettering_.carets[i].head);
    if (d < least) least = d, best = i;
  }
  return best;
}

std::size_t Typing::besideLine(int by) const {
  if (lettering_.carets.empty()) return 0;
  const CaretPlace& now = lettering_.carets[caret_];
  const Vec middle = lerp(now.foot, now.head, 0.5);
  std::size_t best = caret_;
  double least = std::numeric_limits<double>::infinity();
  for (std::size_t i = 0; i < lettering_.carets.size(); ++i) {
    const CaretPlace& other = lettering_.carets[i];
    if (other.line != now.line + static_cast<std::size_t>(by)) continue;
    const double d = distance(lerp(other.foot, other.head, 0.5), middle);
    if (d < least) least = d, best = i;
  }
  return least < std::numeric_limits<double>::infinity() ? best : by < 0 ? 0 : lettering_.text.size();
}

std::size_t Typing::wordEdge(int by) const {
  const auto& text = lettering_.text;
  std::size_t at = caret_;
  if (by < 0) {
    while (at > 0 && is_blank(text[at - 1])) --at;
    while (at > 0 && !is_blank(text[at - 1])) --at;
  } else {
    while (at < text.size() && !is_blank(text[at])) ++at;
    while (at < text.size() && is_blank(text[at])) ++at;
  }
  return at;
}

void Typing::nudge(double right, double down) {
  const auto at = letter();
  if (!at) return;
  LetterMove move{lettering_.letters[*at].first};
  for (const auto& m : letter_moves(values())) {
    if (m.character == move.character) move = m;
  }
  move.right += right;
  move.down += down;
  change(with_letter_move(values(), move), tr("Nudge a letter"), "nudge-letter-" + std::to_string(move.character));
}

bool Typing::wants(const QKeyEvent* event) {
  if (event->matches(QKeySequence::Copy) || event->matches(QKeySequence::Cut) || event->matches(QKeySequence::Paste) ||
      event->matches(QKeySequence::SelectAll))
    return true;
  const auto keys = event->modifiers() & ~(Qt::ShiftModifier | Qt::KeypadModifier | Qt::GroupSwitchModifier);
  switch (event->key()) {
    case Qt::Key_Left:
    case Qt::Key_Right:
    case Qt::Key_Up:
    case Qt::Key_Down:
    case Qt::Key_Home:
    case Qt::Key_End:
    case Qt::Key_Backspace:
    case Qt::Key_Delete:
    case Qt::Key_Return:
    case Qt::Key_Enter:
    case Qt::Key_Escape:
      return true;
    default:
      return keys == Qt::NoModifier && !event->text().isEmpty() && event->text().front().isPrint();
  }
}

bool Typing::key(QKeyEvent* event) {
  if (!active_ || !wants(event)) return false;
  const bool extend = event->modifiers() & Qt::ShiftModifier, word = event->modifiers() & Qt::ControlModifier;
  const std::size_t from = std::min(caret_, anchor_), to = std::max(caret_, anchor_);
  auto marked = [&] { return QString::fromUcs4(lettering_.text.data() + from, static_cast<qsizetype>(to - from)); };
  auto remove = [&](std::size_t a, std::size_t b) {
    if (a == b) return;
    std::u32string text = lettering_.text;
    text.erase(a, b - a);
    if (in_word_) ++word_;
    in_word_ = false;
    replaceText(text, a, tr("Delete"));
  };
  if (event->matches(QKeySequence::SelectAll)) {
    anchor_ = 0;
    moveTo(lettering_.text.size(), true);
  } else if (event->matches(QKeySequence::Copy) || event->matches(QKeySequence::Cut)) {
    if (from == to) return true;
    QGuiApplication::clipboard()->setText(marked());
    if (event->matches(QKeySequence::Cut)) ++word_, remove(from, to);
  } else if (event->matches(QKeySequence::Paste)) {
    QString text = QGuiApplication::clipboard()->text();
    text.replace(QStringLiteral("\r\n"), QStringLiteral("\n"));
    ++word_;
    in_word_ = true;
    insert(characters_of(text.toStdString()));
    in_word_ = false;
    ++word_;
  } else if (const auto way = arrow(event->key()); way && event->modifiers() & Qt::AltModifier) {
    const double step = extend ? 1 : 0.1;
    nudge(step * way->x(), step * way->y());
  } else {
    switch (event->key()) {
      case Qt::Key_Left:
        moveTo(from != to && !extend ? from : word ? wordEdge(-1) : caret_ - (caret_ > 0), extend);
        break;
      case Qt::Key_Right:
        moveTo(from != to && !extend ? to : word ? wordEdge(1) : caret_ + 1, extend);
        break;
      case Qt::Key_Up:
        moveTo(besideLine(-1), extend);
        break;
      case Qt::Key_Down:
        moveTo(besideLine(1), extend);
        break;
      case Qt::Key_Home:
      case Qt::Key_End: {
        const bool home = event->key() == Qt::Key_Home;
        std::size_t at = caret_;
        if (word) {
          at = home ? 0 : lettering_.text.size();
        } else {
          while (home ? at > 0 && lettering_.text[at - 1] != U'\n'
                      : at < lettering_.text.size() && lettering_.text[at] != U'\n')
            at += home ? static_cast<std::size_t>(-1) : 1;
        }
        moveTo(at, extend);
        break;
      }
      case Qt::Key_Backspace:
        if (from != to) {
          remove(from, to);
        } else {
          const std::size_t start = word ? wordEdge(-1) : caret_ - (caret_ > 0);
          remove(start, caret_);
        }
        break;
      case Qt::Key_Delete:
        from != to ? remove(from, to)
                   : remove(caret_, word ? wordEdge(1) : std::min(caret_ + 1, lettering_.text.size()));
        break;
      case Qt::Key_Return:
      case Qt::Key_Enter:
        insert(U"\n");
        break;
      case Qt::Key_Escape:
        end();
        break;
      default:
        insert(characters_of(event->text().toStdString()));
    }
  }
  return true;
}

void Typing::compose(QInputMethodEvent* event) {
  if (active_ && !event->commitString().isEmpty()) insert(characters_of(event->commitString().toStdString()));
  event->accept();
}

QVariant Typing::ask(Qt::InputMethodQuery query, const View& view) const {
  switch (query) {
    case Qt::ImEnabled:
      return active_;
    case Qt::ImCursorRectangle: {
      if (!active_ || lettering_.carets.empty()) return {};
      const CaretPlace& c = lettering_.carets[caret_];
      return QRectF(view.to_px(toMat()(c.head)), view.to_px(toMat()(c.foot))).normalized().toRect();
    }
    case Qt::ImSurroundingText:
      return QString::fromUcs4(lettering_.text.data(), static_cast<qsizetype>(lettering_.text.size()));
    case Qt::ImCursorPosition:
      return static_cast<int>(caret_);
    case Qt::ImAnchorPosition:
      return static_cast<int>(anchor_);
    default:
      return {};
  }
}

bool Typing::press(Vec at, bool extend) {
  const DrawnPiece* drawn = find_drawn(session_.drawing(), piece_);
  Box box = drawn ? drawn->bounds : Box{};
  for (const auto& c : lettering_.carets) box.add(toMat()(c.foot)), box.add(toMat()(c.head));
  if (!box.contains(at)) return false;
  moveTo(nearest(at), extend);
  return true;
}

void Typing::drag(Vec at) { moveTo(nearest(at), true); }

void Typing::paint(QPainter& p, const View& view) const {
  if (!active_ || lettering_.carets.empty()) return;
  const Affine map = toMat();
  auto px = [&](Vec v) { return view.to_px(map(v)); };
  p.setRenderHint(QPainter::Antialiasing);
  const std::size_t from = std::min(caret_, anchor_), to = std::max(caret_, anchor_);
  if (from != to) {
    QColor wash = theme().accent;
    wash.setAlpha(60);
    p.setPen(Qt::NoPen);
    p.setBrush(wash);
    for (std::size_t i = from; i < to; ++i) {
      const CaretPlace &a = lettering_.carets[i], &b = lettering_.carets[i + 1];
      if (a.line == b.line) p.drawPolygon(QPolygonF({px(a.foot), px(a.head), px(b.head), px(b.foot)}));
    }
  }
  const CaretPlace& caret = lettering_.carets[caret_];
  if (lit_) {
    const QPointF foot = px(caret.foot), head = px(caret.head),
                  along = (foot - head) / std::max(1.0, std::hypot(foot.x() - head.x(), foot.y() - head.y()));
    const QPointF across(-along.y() * 4, along.x() * 4);
    // Light around dark, so that it shows on any stock.
    for (const auto& pen : {QPen(QColor(255, 255, 255, 220), 4.6), QPen(theme().accent, 2.2)}) {
      p.setPen(pen);
      p.drawLine(foot, head);
      p.drawLine(foot - across, foot + across);
    }
  }
}

}  // namespace dotlane
