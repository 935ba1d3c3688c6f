#include "app/ledger/ledger_actions.hpp"

#include "core/project/arrange.hpp"
#include "core/project/edit.hpp"

namespace dotlane {
namespace {

std::vector<int> all_pieces(const Project& project) {
  std::vector<int> out;
  for (const auto& piece : project.pieces) out.push_back(piece->id);
  return out;
}

/// On for all where it is on for none or some, else off for all.
void toggle(Session& session, bool Piece::*what, const QString& on_label, const QString& off_label) {
  const auto pieces = session.selectedPieces();
  const bool on = std::any_of(pieces.begin(), pieces.end(), [&](int id) {
    const Piece* piece = find_piece(session.project(), id);
    return piece && !(piece->*what);
  });
  session.commit(set_each(session.project(), pieces, what, on), on ? on_label : off_label);
}

}  // namespace

void add_ledger_actions(Actions& actions, Session& session, Ledger& ledger) {
  const auto then = [](Qt::Key key) {
    return QKeySequence(QKeyCombination(Qt::ALT, Qt::Key_H), QKeyCombination(Qt::NoModifier, key));
  };
  actions.add("hide", QObject::tr("Hide what is selected, or show it again; it is run all the same"), then(Qt::Key_H),
              [&session] { toggle(session, &Piece::hidden, QObject::tr("Hide"), QObject::tr("Show")); });
  actions.add("show-all", QObject::tr("Show everything that is hidden"), then(Qt::Key_A), [&session] {
    session.commit(set_each(session.project(), all_pieces(session.project()), &Piece::hidden, false),
                   QObject::tr("Show everything"));
  });
  actions.add("lock", QObject::tr("Lock what is selected for hands on the bench, or unlock it"), then(Qt::Key_L),
              [&session] { toggle(session, &Piece::locked, QObject::tr("Lock"), QObject::tr("Unlock")); });
  actions.add("unlock-all", QObject::tr("Unlock everything"), then(Qt::Key_U), [&session] {
    session.commit(set_each(session.project(), all_pieces(session.project()), &Piece::locked, false),
                   QObject::tr("Unlock everything"));
  });
  actions.add(
      "piece-not-now", QObject::tr("Leave what is selected out of the run this time, or run it"), then(Qt::Key_N),
      [&session] { toggle(session, &Piece::not_now, QObject::tr("Not this time"), QObject::tr("This time, too")); });
  actions.add("ledger-find", QObject::tr("Find pieces in the ledger"), QKeySequence::Find, [&ledger] {
    ledger.finder()->setFocus(Qt::ShortcutFocusReason);
    ledger.finder()->selectAll();
  });
  actions.add("rename", QObject::tr("Rename the piece or the group"), Qt::SHIFT | Qt::Key_F2,
              [&ledger] { ledger.rename(); });
}

void update_ledger_actions(Actions& actions, const Session& session) {
  const auto enable = [&](const char* id, bool on) { actions.find(QString::fromLatin1(id))->setEnabled(on); };
  const auto& pieces = session.project().pieces;
  const auto some = [&](bool Piece::*what) {
    return std::any_of(pieces.begin(), pieces.end(), [what](const auto& piece) { return (*piece).*what; });
  };
  const auto selected = session.selectedPieces();
  for (const char* id : {"hide", "lock", "piece-not-now"}) enable(id, !selected.empty());
  enable("show-all", some(&Piece::hidden));
  enable("unlock-all", some(&Piece::locked));
  const std::string group =
      selected.empty() ? "" : outermost_group(find_piece(session.project(), selected.front())->group);
  enable("rename",
         selected.size() == 1 || (!group.empty() && selected.size() == pieces_in(session.project(), group).size()));
}

}  // namespace dotlane
