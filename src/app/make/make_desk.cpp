#include "app/make/make_desk.hpp"

#include <QPointer>
#include <algorithm>
#include <set>

#include "app/units.hpp"
#include "core/layout/lay_edit.hpp"

namespace dotlane {
namespace {

constexpr double kThinMm = 0.05;  // outlines that light up show no more

QPainterPath figure_path(const Part& part) {
  QPainterPath out;
  out.setFillRule(Qt::OddEvenFill);
  const Region body = part.body();
  for (const auto& ring : body.rings) {
    QPolygonF polygon;
    for (const Vec q : thinned(ring, kThinMm)) polygon.append(QPointF(q.x, q.y));
    out.addPolygon(polygon);
    out.closeSubpath();
  }
  return out;
}

}  // namespace

MakeDesk::Made::Made(std::shared_ptr<const Derived> of)
    : derived(std::move(of)), guide(derived->project, *derived, derived->project.laying.top_first) {
  for (const auto& part : derived->layout.parts) {
    bodies.push_back(figure_path(part));
    numbers.push_back(part.has_body() ? number_place(part.body()) : part.centre);
  }
}

MakeDesk::MakeDesk(Session& session, QObject* parent) : QObject(parent), session_(session) {
  connect(&session_, &Session::derivedChanged, this, &MakeDesk::follow);
  connect(&session_, &Session::opened, this, [this] {
    made_.reset(), working_on_.reset();
    wanted_.reset(), hovered_.reset(), id_.reset();
    said_.clear();
    step_ = npos, piece_ = 0;
    show_ = Show::together;
    follow();
    emit changed();
  });
}

void MakeDesk::setOn(bool on) {
  on_ = on;
  follow();
}

void MakeDesk::follow() {
  const auto derived = session_.derivedHandle();
  if (!on_ || working_on_ == derived) return;
  working_on_ = derived;
  session_.aside([self = QPointer<MakeDesk>(this), derived]() -> std::function<void()> {
    auto made = std::make_shared<const Made>(derived);
    return [self, made] {
      if (self && self->working_on_ == made->derived) self->take(made);
    };
  });
}

void MakeDesk::take(std::shared_ptr<const Made> made) {
  made_ = std::move(made);
  // What was said since is on its way.
  if (made_->derived->project == session_.project()) said_.clear();
  hovered_.reset(), wanted_.reset();
  const Layout& layout = made_->derived->layout;
  for (std::size_t k = 0; id_ && k < layout.laid.size(); ++k) {
    if (idOf(k) == *id_) wanted_ = k;
  }
  step_ = steps().empty() ? npos : 0;
  for (std::size_t s = 0; s < steps().size(); ++s) {
    if (steps()[s].piece == piece_) step_ = s;
  }
  if (show_ == Show::face_down && (step_ == npos || !steps()[step_].in_tiles)) show_ = Show::together;
  if (!wanted_) {
    if (const auto first = firstMissing()) return lookFor(*first);
  }
  emit changed();
}

const std::vector<AssemblyStep>& MakeDesk::steps() const {
  static const std::vector<AssemblyStep> none;
  return made_ ? made_->guide.steps() : none;
}

std::vector<std::size_t> MakeDesk::copiesOf(std::size_t step) const {
  std::vector<std::size_t> out;
  if (step >= steps().size()) return out;
  const auto& laid = made_->derived->layout.laid;
  for (const std::size_t part : steps()[step].parts) {
    // By part, then by copy: those of a part lie next to each other.
    const auto first = std::lower_bound(laid.begin(), laid.end(), part,
                                        [](const LaidPart& l, std::size_t number) { return l.part < number; });
    for (auto at = first; at != laid.end() && at->part == part; ++at)
      out.push_back(static_cast<std::size_t>(at - laid.begin()));
  }
  return out;
}

std::vector<std::size_t> MakeDesk::allCopies() const {
  std::vector<std::size_t> out;
  for (std::size_t s = 0; s < steps().size(); ++s) {
    const auto own = copiesOf(s);
    out.insert(out.end(), own.begin(), own.end());
  }
  return out;
}

bool MakeDesk::isInPlace(std::size_t laid) const {
  const auto said = said_.empty() ? said_.end() : said_.find(idOf(laid));
  return said != said_.end() ? said->second : made_->derived->layout.laid[laid].in_place;
}

std::size_t MakeDesk::inPlaceOf(std::size_t step) const {
  const auto all = copiesOf(step);
  return static_cast<std::size_t>(std::count_if(all.begin(), all.end(), [&](std::size_t k) { return isInPlace(k); }));
}

std::optional<std::size_t> MakeDesk::firstMissing() const {
  if (step_ == npos) return {};
  for (std::size_t k = 0; k < steps().size(); ++k) {
    for (const std::size_t laid : copiesOf((step_ + k) % steps().size())) {
      if (!isInPlace(laid)) return laid;
    }
  }
  const auto own = copiesOf(step_);
  return own.empty() ? std::nullopt : std::optional(own.front());
}

MakeDesk::Id MakeDesk::idOf(std::size_t laid) const {
  const Layout& layout = made_->derived->layout;
  return {layout.parts[layout.laid[laid].part].key, layout.laid[laid].copy};
}

void MakeDesk::lookFor(std::size_t laid) {
  const Layout& layout = made_->derived->layout;
  const Part& part = layout.parts[layout.laid[laid].part];
  wanted_ = laid;
  id_ = idOf(laid);
  for (std::size_t s = 0; s < steps().size(); ++s) {
    if (steps()[s].piece == part.first.piece) step_ = s, piece_ = part.first.piece;
  }
  if (show_ == Show::face_down && !steps()[step_].in_tiles) show_ = Show::together;
  emit changed();
}

void MakeDesk::hover(std::optional<std::size_t> laid) {
  if (laid == hovered_) return;
  hovered_ = laid;
  emit changed();
}

void MakeDesk::goTo(std::size_t step) {
  const auto own = copiesOf(step);
  if (own.empty()) return;
  const auto missing = std::find_if(own.begin(), own.end(), [&](std::size_t k) { return !isInPlace(k); });
  lookFor(missing == own.end() ? own.front() : *missing);
}

void MakeDesk::move(int by) {
  const auto all = allCopies();
  if (all.empty()) return;
  const auto now = wanted_ ? std::find(all.begin(), all.end(), *wanted_) : all.end();
  const auto last = static_cast<std::ptrdiff_t>(all.size()) - 1;
  const auto at = now == all.end() ? 0 : std::clamp<std::ptrdiff_t>((now - all.begin()) + by, 0, last);
  lookFor(all[static_cast<std::size_t>(at)]);
}

void MakeDesk::setShow(Show show) {
  show_ = show;
  emit changed();
}

void MakeDesk::setTopFirst(bool on) {
  Project next = session_.project();
  next.laying.top_first = on;
  session_.commit(std::move(next), on ? tr("Put together from the top layer") : tr("Put together from the back layer"));
}

AssemblyGuide::Page MakeDesk::figurePage() const {
  using What = AssemblyGuide::Page::What;
  if (step_ == npos) return {What::figure, 0};
  return {show_ == Show::exploded ? What::exploded : show_ == Show::face_down ? What::face_down : What::step, step_};
}

std::optional<AssemblyGuide::Page> MakeDesk::sheetPage() const {
  if (!wanted_) return {};
  const Layout& layout = made_->derived->layout;
  for (std::size_t s = 0; s < layout.sheets.size(); ++s) {
    if (layout.sheets[s].sheet.id == layout.laid[*wanted_].sheet)
      return AssemblyGuide::Page{AssemblyGuide::Page::What::sheet, s};
  }
  return {};
}

void MakeDesk::setInPlace(const std::vector<std::size_t>& laid, bool on) {
  if (laid.empty()) return;
  std::set<Id> ids;
  for (const std::size_t k : laid) ids.insert(idOf(k));
  session_.editLaid(
      [ids, on](const Project& project, const Drawing& drawing, const Layout& now) {
        std::vector<std::size_t> meant;
        for (std::size_t k = 0; k < now.laid.size(); ++k) {
          if (ids.contains({now.parts[now.laid[k].part].key, now.laid[k].copy})) meant.push_back(k);
        }
        return set_in_place(project, drawing, now, meant, on);
      },
      on ? tr("In place: %1")
               .arg(laid.size() == 1 ? nameOf(laid.front()) : counted(laid.size(), tr("part"), tr("parts")))
         : tr("Not in place: %1")
               .arg(laid.size() == 1 ? nameOf(laid.front()) : counted(laid.size(), tr("part"), tr("parts"))));
  for (const Id& id : ids) said_[id] = on;
  if (on) {
    if (const auto next = firstMissing()) return lookFor(*next);
  }
  emit changed();
}

void MakeDesk::toggleInPlace() {
  if (wanted_) setInPlace({*wanted_}, !isInPlace(*wanted_));
}

QString MakeDesk::nameOf(std::size_t laid) const {
  const Layout& layout = made_->derived->layout;
  const LaidPart& copy = layout.laid[laid];
  const QString name = qs(layout.parts[copy.part].name);
  std::size_t copies = 0;
  for (std::size_t k = laid - static_cast<std::size_t>(copy.copy - 1);
       k < layout.laid.size() && layout.laid[k].part == copy.part; ++k)
    ++copies;
  return copies > 1 ? tr("%1, %2 of %3").arg(name).arg(copy.copy).arg(copies) : name;
}

}  // namespace dotlane
