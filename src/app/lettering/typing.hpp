// Typing on the bench: a caret in the lettering of one piece. Every word typed is one step to undo.
#pragma once

#include <QInputMethodEvent>
#include <QKeyEvent>
#include <QObject>
#include <QPainter>
#include <QTimer>

#include "app/session.hpp"
#include "core/shape/lettering.hpp"
#include "render/view.hpp"

namespace dotlane {

class Typing : public QObject {
  Q_OBJECT
 public:
  Typing(Session& session, QObject* parent);

  /// Puts the caret into a piece of lettering: at this place on the mat, or around all of its words.
  void begin(int piece, std::optional<Vec> at = {});
  void end();
  [[nodiscard]] bool active() const { return active_; }

  /// The piece the caret belongs to, also while nobody types on the bench; 0 when none does.
  [[nodiscard]] int piece() const { return piece_; }
  /// Characters before the caret.
  [[nodiscard]] std::size_t caret() const { return caret_; }
  /// The letter that stands before the caret, or behind it at the start of a line; nothing in empty lettering.
  [[nodiscard]] std::optional<std::size_t> letter() const;
  /// The lettering as it is set now.
  [[nodiscard]] const Lettering& lettering() const { return lettering_; }
  [[nodiscard]] Values values() const;
  /// Another place for typing has the caret there.
  void follow(int piece, std::size_t caret);

  /// Takes a key while active; false leaves it to others. `wants` tells whether it would.
  bool key(QKeyEvent* event);
  [[nodiscard]] static bool wants(const QKeyEvent* event);
  void compose(QInputMethodEvent* event);
  [[nodiscard]] QVariant ask(Qt::InputMethodQuery query, const View& view) const;
  /// A press at this place on the mat: false when it is outside the lettering.
  bool press(Vec at, bool extend);
  void drag(Vec at);
  /// Puts text in the place of what is marked.
  void insert(const std::u32string& text);
  /// The whole text as another field has it now, with its caret.
  void retype(const std::u32string& text, std::size_t caret);
  /// The marked characters [first, second); equal when none are.
  [[nodiscard]] std::pair<std::size_t, std::size_t> marked() const {
    return {std::min(caret_, anchor_), std::max(caret_, anchor_)};
  }
  /// Puts a letterform there: `character` with that form, or the form for the letter at the caret when `replace`.
  void insertForm(char32_t character, const std::string& form, bool replace);
  /// Commits other values of the lettering.
  void change(const Values& values, const QString& label, const std::string& merge = {});

  void paint(QPainter& painter, const View& view) const;

 signals:
  void changed();  ///< caret, marks or lettering
  void activeChanged(bool active);

 private:
  void refresh();
  void replaceText(const std::u32string& text, std::size_t caret, const QString& label);
  void moveTo(std::size_t caret, bool extend);
  void nudge(double right, double down);
  [[nodiscard]] std::size_t nearest(Vec at) const;
  [[nodiscard]] std::size_t besideLine(int by) const;
  [[nodiscard]] std::size_t wordEdge(int by) const;
  [[nodiscard]] Affine toMat() const;

  Session& session_;
  bool active_ = false, lit_ = true;
  int piece_ = 0;
  std::size_t caret_ = 0, anchor_ = 0;
  int word_ = 0;  // typing goes on in the same word: one step to undo
  bool in_word_ = false;
  Values shown_;  // what lettering_ was set from
  Lettering lettering_;
  QTimer blink_;
};

}  // namespace dotlane
