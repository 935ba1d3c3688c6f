#include "app/place_actions.hpp"

#include <QSettings>

#include "app/units.hpp"
#include "core/place/held.hpp"
#include "core/project/kinds.hpp"
#include "words/sentences.hpp"

namespace dotlane {

QString held_text(const Project& project, const Hold& hold) { return qs(sentence(told(project, hold), project.unit)); }

PlaceActions::PlaceActions(Session& session, Actions& actions, Notice& notice, Bench& bench, QObject* parent)
    : QObject(parent), session_(session), actions_(actions), notice_(notice), bench_(bench) {
  const auto then = [](Qt::Key key) {
    return QKeySequence(QKeyCombination(Qt::ALT, Qt::Key_H), QKeyCombination(Qt::NoModifier, key));
  };
  bench_.setSnapping(QSettings().value(QStringLiteral("snap"), true).toBool(),
                     QSettings().value(QStringLiteral("snapDots"), false).toBool());
  actions_.add("snap", tr("Let what is dragged meet what lies around it, or not"), then(Qt::Key_S),
               [this] { snap(!bench_.snaps(), bench_.snapsToDots()); });
  actions_.add("snap-dots", tr("Let it meet the dots of the mat, too, or not"), then(Qt::Key_D),
               [this] { snap(true, !bench_.snapsToDots()); });
  actions_.add("guides-away", tr("Take all guides away"), then(Qt::Key_G), [this] {
    Project next = session_.project();
    next.guides.clear();
    session_.commit(std::move(next), tr("Take all guides away"));
  });
  actions_.add(
      "hold", tr("Hold the piece where it met something: it follows that from now on"), QKeySequence(Qt::Key_H),
      [this] { hold(); }, &bench_);
  actions_.add(
      "let-go", tr("Let the piece go: it follows nothing any more"), Qt::SHIFT | Qt::Key_H, [this] { letGo(); },
      &bench_);
  actions_.add("hold-row", tr("Hold three pieces or more as a row with equal gaps"), then(Qt::Key_R),
               [this] { holdRow(); });
  actions_.add("fit-inside", tr("Fit the smaller piece inside the larger one, with a margin that it keeps"),
               then(Qt::Key_I), [this] { fitInside(); });
}

void PlaceActions::update() {
  const auto pieces = session_.selectedPieces();
  const bool held = std::any_of(pieces.begin(), pieces.end(), [this](int id) {
    const Piece* piece = find_piece(session_.project(), id);
    return piece && (!piece->holds.empty() || piece->fit);
  });
  const auto enable = [this](const char* id, bool on) { actions_.find(QString::fromLatin1(id))->setEnabled(on); };
  enable("hold", !pieces.empty());
  enable("let-go", held);
  enable("hold-row", pieces.size() > 2);
  enable("fit-inside", pieces.size() == 2);
  enable("guides-away", !session_.project().guides.empty());
}

void PlaceActions::snap(bool on, bool dots) {
  bench_.setSnapping(on, dots);
  QSettings().setValue(QStringLiteral("snap"), on);
  QSettings().setValue(QStringLiteral("snapDots"), dots);
  notice_.say(!on    ? tr("What is dragged goes where it is put.")
              : dots ? tr("What is dragged meets what lies around it, and the mat's dots. Ctrl: not now.")
                     : tr("What is dragged meets what lies around it. Ctrl: not now."),
              false);
}

void PlaceActions::take(const Result<Project>& held, const QString& label) {
  if (!held) return notice_.say(qs(line_of(held.error())) + QStringLiteral("."), true);
  session_.commit(*held, label);
}

void PlaceActions::hold() {
  const auto pieces = session_.selectedPieces();
  if (pieces.size() != 1)
    return notice_.say(tr("One piece is held at a time: click it, drag it to its place, press H."), true);
  const auto holds = bench_.meetings();
  if (holds.empty())
    return notice_.say(tr("Drag the piece until it meets an edge or a middle, and press H while the lines show it."),
                       true);
  Result<Project> next = session_.project();
  QStringList said;
  for (const auto& hold : holds) {
    next = hold_piece(std::move(*next), session_.drawing(), pieces.front(), hold);
    if (!next) break;
    for (const auto& made : find_piece(*next, pieces.front())->holds) {
      if (made.axis == hold.axis) said << held_text(*next, made);
    }
  }
  take(next, tr("Hold"));
  if (next) notice_.say(tr("Held: %1. Shift+H lets it go.").arg(said.join(tr("; "))), false);
}

void PlaceActions::holdRow() {
  take(hold_row(session_.project(), session_.drawing(), session_.selectedPieces()), tr("Hold as a row"));
}

void PlaceActions::fitInside() {
  const auto pieces = session_.selectedPieces();
  if (pieces.size() != 2) return;
  session_.whenEdited([this, pieces] {
    const auto area = [this](int id) {
      const DrawnPiece* piece = find_drawn(session_.drawing(), id);
      return piece ? piece->bounds.width() * piece->bounds.height() : 0;
    };
    // A blank is what others are fitted inside; else the larger one is.
    const auto blank = [this](int id) {
      const Piece* piece = find_piece(session_.project(), id);
      return piece && piece->source.kind == "blank";
    };
    const bool first = blank(pieces[0]) != blank(pieces[1]) ? blank(pieces[0]) : area(pieces[0]) > area(pieces[1]);
    const int around = pieces[first ? 0 : 1], inside = pieces[first ? 1 : 0];
    constexpr double kMargin = 3;  // mm
    const Piece* on = find_piece(session_.project(), around);
    const double margin =
        blank(around) ? Reading(*find_kind(shape_kinds(), "blank"), on->source.values).number("margin") : kMargin;
    take(fit_piece(session_.project(), session_.drawing(), inside, around, margin), tr("Fit inside"));
    session_.select({{inside, ""}});
  });
}

void PlaceActions::letGo() { session_.commit(let_go(session_.project(), session_.selectedPieces()), tr("Let go")); }

}  // namespace dotlane
