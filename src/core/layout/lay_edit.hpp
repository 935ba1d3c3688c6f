// Edits of how parts lie. The layout must be that of the very project; indices that do not exist are passed over.
#pragma once

#include "core/layout/layout.hpp"

namespace dotlane {

/// Puts a copy of a part where `place` says: on a sheet, or to wait. What is said of its other copies stays.
[[nodiscard]] Project set_place(Project project, const Drawing& drawing, const Layout& layout, std::size_t part,
                                Place place);

/// The same for many parts in a row: `record` is the index of the part's record, npos where it has none; it is made
/// then.
[[nodiscard]] Project set_place(Project project, const Drawing& drawing, const Part& part, std::size_t& record,
                                Place place);

/// Lets a copy of a part lie as drawn again, or wait where its stock is not laid out so.
[[nodiscard]] Project clear_place(Project project, const Layout& layout, std::size_t part, int copy);

/// A copy, by its index in Layout::laid, and where it is to lie: on which sheet, by a map from the figure onto the mat.
struct Put {
  std::size_t laid = 0;
  int sheet = 0;
  Affine map;
};
/// Lays them so; which of them are pinned stays. Sheets that are not there are passed over.
[[nodiscard]] Project lay_parts(Project project, const Drawing& drawing, const Layout& layout,
                                const std::vector<Put>& puts);

/// Where the copies lie when they are turned where they are, counter-clockwise as seen: one about its centre, several
/// of a sheet about the middle of all of these. Those that wait are left out.
[[nodiscard]] std::vector<Put> turned(const Layout& layout, const std::vector<std::size_t>& laid, double degrees);

/// These copies, by their indices in Layout::laid, wait for room.
[[nodiscard]] Project let_wait(Project project, const Drawing& drawing, const Layout& layout,
                               const std::vector<std::size_t>& laid);
/// Whether nothing but a hand moves them; what lies as drawn is given the place where it lies.
[[nodiscard]] Project pin_parts(Project project, const Drawing& drawing, const Layout& layout,
                                const std::vector<std::size_t>& laid, bool pinned);
/// Whether they are left out of the run.
[[nodiscard]] Project set_not_now(Project project, const Drawing& drawing, const Layout& layout,
                                  const std::vector<std::size_t>& laid, bool not_now);
/// Whether they have been put in their place in the figure.
[[nodiscard]] Project set_in_place(Project project, const Drawing& drawing, const Layout& layout,
                                   const std::vector<std::size_t>& laid, bool in_place);
/// Leaves a sheet out of the run with all that lies on it, or not; the same for a pass by its key, and for all lines of
/// a role.
[[nodiscard]] Project set_sheet_not_now(Project project, int sheet, bool not_now);
[[nodiscard]] Project set_pass_not_now(Project project, const std::string& key, bool not_now);
[[nodiscard]] Project set_role_not_now(Project project, Role role, bool not_now);
/// Everything is run again.
[[nodiscard]] Project run_everything(Project project);

/// Keeps the parts together, by their indices in Layout::parts, each stock for itself: they are turned and moved as
/// one from then on, and lie to each other as in the figure where they are laid anew. Or lets each go its own way.
[[nodiscard]] Project keep_together(Project project, const Drawing& drawing, const Layout& layout,
                                    const std::vector<std::size_t>& parts, bool together);

/// How many of the parts are made, by their indices in Layout::parts: from 1 to kMostCopies. Places of copies beyond
/// that are given up.
[[nodiscard]] Project set_copies(Project project, const Drawing& drawing, const Layout& layout,
                                 const std::vector<std::size_t>& parts, int copies);

/// Everything that is not pinned lies as drawn again, in one copy.
[[nodiscard]] Project lay_as_drawn(Project project);

}  // namespace dotlane
