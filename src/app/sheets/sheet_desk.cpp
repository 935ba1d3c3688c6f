#include "app/sheets/sheet_desk.hpp"

#include <QPointer>

#include "app/units.hpp"
#include "core/layout/lay_edit.hpp"
#include "core/layout/shelf.hpp"

namespace dotlane {
namespace {

constexpr qint64 kBurst = 900;  // ms: nudges that follow each other so soon are one to undo

PartCopy id_in(const Layout& layout, std::size_t k) {
  return {layout.parts[layout.laid[k].part].key, layout.laid[k].copy};
}

std::vector<std::size_t> those_of(const Layout& layout, const std::set<PartCopy>& ids) {
  std::vector<std::size_t> out;
  for (std::size_t k = 0; !ids.empty() && k < layout.laid.size(); ++k) {
    if (ids.contains(id_in(layout, k))) out.push_back(k);
  }
  return out;
}

/// The layout with the records of the project, which may have taken down anew how the parts are since then.
Layout layout_for(const Project& project, const Derived& derived) {
  Layout out = derived.layout;
  if (!(derived.project.parts == project.parts)) out.records = match(derived.drawing, out.parts, project.parts);
  return out;
}

Box box_around(const Layout& layout, const std::vector<std::size_t>& laid) {
  Box out;
  for (const std::size_t k : laid) {
    if (layout.laid[k].sheet != 0) out.add(bounds_on_mat(layout, k));
  }
  return out;
}

std::vector<Put> moved(const Layout& layout, const std::vector<std::size_t>& laid, Vec by) {
  std::vector<Put> out;
  for (const std::size_t k : laid) {
    const LaidPart& part = layout.laid[k];
    if (part.sheet != 0) out.push_back({k, part.sheet, Affine::move(by.x, by.y) * part.map});
  }
  return out;
}

}  // namespace

SheetDesk::SheetDesk(Session& session, QObject* parent)
    : QObject(parent), session_(session), shown_(session.derivedHandle()) {
  connect(&session_, &Session::derivedChanged, this, &SheetDesk::follow);
  connect(&session_, &Session::selectionChanged, this, &SheetDesk::followSession);
  connect(&session_, &Session::opened, this, [this] {
    shown_ = session_.derivedHandle();
    ids_.clear(), chosen_.clear(), use_.clear();
    hovered_.reset();
    sheet_ = 0;
    emit changed();
  });
}

PartCopy SheetDesk::id_of(std::size_t laid) const { return id_in(layout(), laid); }

bool SheetDesk::is_chosen(std::size_t laid) const { return std::binary_search(chosen_.begin(), chosen_.end(), laid); }

void SheetDesk::choose(const std::vector<std::size_t>& laid) {
  std::set<std::size_t> all;
  for (const std::size_t k : laid) {
    for (const std::size_t m : layout().moved_with(shown_->project, k)) all.insert(m);
  }
  chosen_.assign(all.begin(), all.end());
  ids_.clear();
  std::vector<LineRef> pieces;
  for (const std::size_t k : chosen_) {
    ids_.insert(id_of(k));
    const LineRef ref{id_of(k).key.piece, ""};
    if (std::find(pieces.begin(), pieces.end(), ref) == pieces.end()) pieces.push_back(ref);
    if (layout().laid[k].sheet != 0) sheet_ = layout().laid[k].sheet;
  }
  following_ = true;
  session_.select(std::move(pieces));
  following_ = false;
  emit changed();
}

void SheetDesk::hover(std::optional<std::size_t> laid) {
  if (laid == hovered_) return;
  hovered_ = laid;
  emit changed();
}

void SheetDesk::point(const std::vector<LineRef>& lines) {
  std::vector<std::size_t> laid;
  for (std::size_t k = 0; k < layout().laid.size(); ++k) {
    const PartKey key = id_of(k).key;
    const bool meant = std::any_of(lines.begin(), lines.end(), [&](const LineRef& ref) {
      return ref.piece == key.piece && (ref.line.empty() || ref.line == key.line);
    });
    if (meant) laid.push_back(k);
  }
  if (!laid.empty()) choose(laid);
}

const Sheet* SheetDesk::sheet() const {
  const auto& sheets = layout().sheets;
  const Sheet* picked = layout().sheet(sheet_);
  return picked ? picked : sheets.empty() ? nullptr : &sheets.front().sheet;
}

void SheetDesk::pickSheet(int id) {
  sheet_ = id;
  emit changed();
}

const PartRecord* SheetDesk::record_of(std::size_t laid) const {
  const std::size_t record = layout().records[layout().laid[laid].part];
  const auto& all = shown_->project.parts;
  return record < all.size() ? &all[record] : nullptr;
}

QString SheetDesk::name_of(std::size_t laid) const {
  const LaidPart& l = layout().laid[laid];
  const QString name = qs(layout().parts[l.part].name);
  const PartRecord* record = record_of(laid);
  return record && record->copies > 1 ? tr("%1, %2 of %3").arg(name).arg(l.copy).arg(record->copies) : name;
}

int SheetDesk::number_of(int sheet) const {
  const auto& sheets = layout().sheets;
  for (std::size_t i = 0; i < sheets.size(); ++i) {
    if (sheets[i].sheet.id == sheet) return static_cast<int>(i) + 1;
  }
  return 0;
}

const SheetUse* SheetDesk::use_of(int sheet) {
  workOutUse();
  const auto known = use_.find(sheet);
  return known == use_.end() ? nullptr : &known->second;
}

void SheetDesk::follow() {
  shown_ = session_.derivedHandle();
  chosen_ = those_of(layout(), ids_);
  hovered_.reset();
  emit changed();
}

void SheetDesk::followSession() {
  if (following_) return;
  const auto pieces = session_.selectedPieces();
  // Said again of the same pieces, it changes nothing here, where some of their parts may be chosen.
  std::set<int> own;
  for (const auto& id : ids_) own.insert(id.key.piece);
  if (own == std::set<int>(pieces.begin(), pieces.end())) return;
  chosen_.clear(), ids_.clear();
  for (std::size_t k = 0; k < layout().laid.size(); ++k) {
    if (std::find(pieces.begin(), pieces.end(), id_of(k).key.piece) == pieces.end()) continue;
    chosen_.push_back(k);
    ids_.insert(id_of(k));
  }
  emit changed();
}

void SheetDesk::workOutUse() {
  const auto derived = shown_;
  if (use_of_ == derived) return;
  use_of_ = derived;
  session_.aside([self = QPointer<SheetDesk>(this), derived]() -> std::function<void()> {
    auto use = std::make_shared<std::map<int, SheetUse>>();
    for (const auto& placed : derived->layout.sheets) {
      (*use)[placed.sheet.id] = dotlane::use_of(derived->project, derived->drawing, derived->layout, placed.sheet,
                                                derived->project.laying.gap_mm);
    }
    return [self, derived, use] {
      if (!self || self->use_of_ != derived) return;
      self->use_ = std::move(*use);
      emit self->changed();
    };
  });
}

void SheetDesk::edit(const Change& change, const QString& label, const std::string& merge_key) {
  session_.editLaid(
      [change, ids = ids_](const Project& project, const Drawing& drawing, const Layout& layout) {
        return change(project, drawing, layout, those_of(layout, ids));
      },
      label, merge_key);
}

void SheetDesk::editAside(const Change& change, const QString& label) {
  session_.whenDerived([self = QPointer<SheetDesk>(this), change, label, ids = ids_] {
    if (!self) return;
    self->session_.aside([self, change, label, ids, project = self->session_.project(),
                          derived = self->session_.derivedHandle()]() -> std::function<void()> {
      const Layout layout = layout_for(project, *derived);
      auto next = std::make_shared<Project>(change(project, derived->drawing, layout, those_of(layout, ids)));
      return [self, label, project, next] {
        if (!self) return;
        if (!(project == self->session_.project())) {
          emit self->said(tr("The project was changed meanwhile; it is as you left it. Do that again."), true);
        } else if (*next == project) {
          emit self->said(tr("Nothing moved: there is no better place."), false);
        } else {
          self->session_.commit(std::move(*next), label);
        }
      };
    });
  });
}

void SheetDesk::nudge(Vec by) {
  if (chosen_.empty()) return;
  // Steps that follow each other are one to undo: each is carried out as a whole with those before.
  if (!nudge_clock_.isValid() || nudge_clock_.elapsed() > kBurst) nudged_ = {}, ++nudge_count_;
  nudge_clock_.start();
  nudged_ = nudged_ + by;
  edit(
      [total = nudged_](const Project& project, const Drawing& drawing, const Layout& layout,
                        const std::vector<std::size_t>& chosen) {
        return lay_parts(project, drawing, layout, moved(layout, chosen, total));
      },
      tr("Nudge on the sheet"), "nudge-part-" + std::to_string(nudge_count_));
}

void SheetDesk::turn(double degrees) {
  edit(
      [degrees](const Project& project, const Drawing& drawing, const Layout& layout,
                const std::vector<std::size_t>& chosen) {
        return lay_parts(project, drawing, layout, turned(layout, chosen, degrees));
      },
      tr("Turn on the sheet"));
}

void SheetDesk::moveCorner(std::optional<double> left, std::optional<double> top, const std::string& merge_key) {
  edit(
      [left, top](const Project& project, const Drawing& drawing, const Layout& layout,
                  const std::vector<std::size_t>& chosen) {
        const Sheet* sheet = chosen.empty() ? nullptr : layout.sheet(layout.laid[chosen.front()].sheet);
        if (!sheet) return project;
        const Box now = box_around(layout, chosen);
        const Vec by{left ? *left + sheet->area.x0 - now.x0 : 0, top ? *top + sheet->area.y0 - now.y0 : 0};
        return lay_parts(project, drawing, layout, moved(layout, chosen, by));
      },
      tr("Move on the sheet"), merge_key);
}

void SheetDesk::setLeft(double mm) { moveCorner(mm, std::nullopt, "part-left"); }

void SheetDesk::setTop(double mm) { moveCorner(std::nullopt, mm, "part-top"); }

void SheetDesk::setTurn(double degrees) {
  edit(
      [degrees](const Project& project, const Drawing& drawing, const Layout& layout,
                const std::vector<std::size_t>& chosen) {
        const Sheet* sheet = chosen.empty() ? nullptr : layout.sheet(layout.laid[chosen.front()].sheet);
        if (!sheet) return project;
        const LaidPart& first = layout.laid[chosen.front()];
        const double now = place_of(drawing, layout.parts[first.part], first.map, *sheet).turn_deg;
        return lay_parts(project, drawing, layout, turned(layout, chosen, degrees - now));
      },
      tr("Turn on the sheet"), "part-turn");
}

void SheetDesk::setCopies(int copies) {
  edit(
      [copies](const Project& project, const Drawing& drawing, const Layout& layout,
               const std::vector<std::size_t>& chosen) {
        std::set<std::size_t> parts;
        for (const std::size_t k : chosen) parts.insert(layout.laid[k].part);
        return set_copies(project, drawing, layout, {parts.begin(), parts.end()}, copies);
      },
      tr("Make %1 of it").arg(copies), "part-copies");
}

void SheetDesk::setAllCopies(int copies) {
  edit(
      [copies](const Project& project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>&) {
        std::vector<std::size_t> all(layout.parts.size());
        for (std::size_t i = 0; i < all.size(); ++i) all[i] = i;
        return set_copies(project, drawing, layout, all, copies);
      },
      tr("Make %1 of everything").arg(copies), "all-copies");
}

void SheetDesk::place(const std::vector<Put>& puts, const QString& label) {
  std::map<PartCopy, Put> wanted;
  for (const auto& put : puts) wanted.emplace(id_of(put.laid), put);
  edit(
      [wanted](const Project& project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>&) {
        std::vector<Put> now;
        for (std::size_t k = 0; k < layout.laid.size(); ++k) {
          const auto found = wanted.find(id_in(layout, k));
          if (found != wanted.end()) now.push_back({k, found->second.sheet, found->second.map});
        }
        return lay_parts(project, drawing, layout, now);
      },
      label);
}

void SheetDesk::lookForRoom(int onto, const QString& label) {
  if (chosen_.empty()) return;
  editAside(
      [onto](const Project& project, const Drawing& drawing, const Layout& layout,
             const std::vector<std::size_t>& chosen) { return find_room(project, drawing, layout, chosen, onto); },
      label);
}

void SheetDesk::findRoom() { lookForRoom(0, tr("Find room")); }

void SheetDesk::turnToFit() {
  if (!chosen_.empty()) lookForRoom(layout().laid[chosen_.front()].sheet, tr("Turn to fit"));
}

void SheetDesk::findRoomOn(int sheet) {
  const Sheet* on = layout().sheet(sheet);
  if (!on || chosen_.empty()) return;
  for (const std::size_t k : chosen_) {
    if (layout().parts[layout().laid[k].part].stock == on->stock) continue;
    emit said(tr("%1 is of another stock than that sheet; it stays where it was.").arg(name_of(k)), true);
    return;
  }
  lookForRoom(sheet, tr("Move to the sheet"));
}

void SheetDesk::pushTogether() {
  editAside(
      [](const Project& project, const Drawing& drawing, const Layout& layout, const std::vector<std::size_t>& chosen) {
        return pushed_together(project, drawing, layout, project.laying.gap_mm, chosen);
      },
      tr("Push together"));
}

void SheetDesk::togglePinned() {
  const bool on =
      std::any_of(chosen_.begin(), chosen_.end(), [this](std::size_t k) { return !layout().laid[k].pinned; });
  edit([on](const Project& project, const Drawing& drawing, const Layout& layout,
            const std::vector<std::size_t>& chosen) { return pin_parts(project, drawing, layout, chosen, on); },
       on ? tr("Pin") : tr("Unpin"));
}

void SheetDesk::toggleTogether() {
  std::set<std::size_t> parts;
  bool all = true;
  for (const std::size_t k : chosen_) {
    parts.insert(layout().laid[k].part);
    all = all && record_of(k) && record_of(k)->together != 0;
  }
  if (parts.empty()) return;
  if (!all && parts.size() < 2) {
    emit said(tr("Choose several parts of one stock to keep them together: click them with Ctrl held."), true);
    return;
  }
  edit(
      [on = !all](const Project& project, const Drawing& drawing, const Layout& layout,
                  const std::vector<std::size_t>& chosen) {
        std::set<std::size_t> of;
        for (const std::size_t k : chosen) of.insert(layout.laid[k].part);
        return keep_together(project, drawing, layout, {of.begin(), of.end()}, on);
      },
      all ? tr("Let go") : tr("Keep together"));
}

void SheetDesk::toggleNotNow() {
  const bool on =
      std::any_of(chosen_.begin(), chosen_.end(), [this](std::size_t k) { return !layout().laid[k].not_now; });
  edit([on](const Project& project, const Drawing& drawing, const Layout& layout,
            const std::vector<std::size_t>& chosen) { return set_not_now(project, drawing, layout, chosen, on); },
       on ? tr("Not this time") : tr("Run it this time"));
}

void SheetDesk::takeOff() {
  edit([](const Project& project, const Drawing& drawing, const Layout& layout,
          const std::vector<std::size_t>& chosen) { return let_wait(project, drawing, layout, chosen); },
       tr("Take off the sheet"));
}

void SheetDesk::keepAsScraps() {
  if (chosen_.empty()) {
    emit said(tr("Draw the scrap's outline as a piece to cut, and choose its part here; it is kept as it is drawn."),
              true);
    return;
  }
  edit(
      [](const Project& project, const Drawing&, const Layout& layout, const std::vector<std::size_t>& chosen) {
        Project next = project;
        std::set<std::size_t> parts;
        for (const std::size_t k : chosen) parts.insert(layout.laid[k].part);
        for (const std::size_t i : parts) {
          const Part& part = layout.parts[i];
          if (part.has_body()) add_to_shelf(next, scrap_of(part.body(), part.stock, part.name));
        }
        return next;
      },
      tr("Keep a scrap as drawn"));
}

void SheetDesk::runEverything() { session_.commit(run_everything(session_.project()), tr("Run everything")); }

}  // namespace dotlane
