// What the ledger says about pieces, by keys: hidden, locked, not this time, found, renamed.
#pragma once

#include "app/actions.hpp"
#include "app/ledger/ledger.hpp"
#include "app/session.hpp"

namespace dotlane {

void add_ledger_actions(Actions& actions, Session& session, Ledger& ledger);
/// Which of them make sense for what is selected.
void update_ledger_actions(Actions& actions, const Session& session);

}  // namespace dotlane
