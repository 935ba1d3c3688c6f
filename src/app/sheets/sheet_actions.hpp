// What can be done to the chosen parts by keys.
#pragma once

#include "app/actions.hpp"
#include "app/sheets/sheet_desk.hpp"

namespace dotlane {

/// Adds the actions; their keys work while `place` or a child of it has the focus. All must outlive the actions.
void add_sheet_actions(Actions& actions, Session& session, SheetDesk& desk, QWidget* place);

}  // namespace dotlane
