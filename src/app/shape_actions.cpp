#include "app/shape_actions.hpp"

#include <QLocale>
#include <QPointer>
#include <QSet>

#include "app/units.hpp"
#include "core/layout/fall_outs.hpp"
#include "core/project/edit.hpp"
#include "core/project/ids.hpp"
#include "core/project/kinds.hpp"
#include "core/project/stock_colors.hpp"
#include "core/shape/paint_layers.hpp"
#include "core/shape/recipe_edit.hpp"
#include "words/language.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

/// Two strokes: the leader, then a letter of the label, or the next free one, or a digit.
class KeyStrokes {
 public:
  explicit KeyStrokes(Qt::Key leader) : leader_(leader) {}
  QKeySequence next(const QString& label) {
    QString letters = label.toUpper() + QStringLiteral("ABCDEFGHIJKLMNOPQRSTUVWXYZ123456789");
    for (const QChar c : letters) {
      if (c.unicode() > 127 || !c.isLetterOrNumber() || taken_.contains(c)) continue;
      taken_.insert(c);
      return QKeySequence(QKeyCombination(Qt::ALT, leader_),
                          QKeyCombination(Qt::NoModifier, static_cast<Qt::Key>(c.unicode())));
    }
    return {};
  }

 private:
  Qt::Key leader_;
  QSet<QChar> taken_;
};

}  // namespace

void fill_step_menu(QMenu& menu, const Actions& actions) {
  QString heading;
  for (const auto& group : {"Outline", "Fill", "Stencil", "Fabric", "Combine", "Clean up", "Place"}) {
    for (const auto& kind : step_kinds()) {
      if (kind.group != group) continue;
      QAction* action = actions.find(QStringLiteral("step-") + qs(kind.kind));
      if (!action) continue;
      if (heading != worded(kind.group)) {
        heading = worded(kind.group);
        if (!menu.isEmpty()) menu.addSeparator();
        menu.addAction(heading)->setEnabled(false);
      }
      QAction* item = menu.addAction(worded(kind.label));
      item->setToolTip(worded(kind.summary));
      item->setObjectName(QStringLiteral("menu-") + action->objectName());
      QObject::connect(item, &QAction::triggered, action, &QAction::trigger);
    }
  }
  menu.setToolTipsVisible(true);
}

ShapeActions::ShapeActions(Session& session, Actions& actions, Notice& notice, QObject* parent)
    : QObject(parent), session_(session), actions_(actions), notice_(notice) {
  addShapeActions();
  addStepActions();
  addArrangeActions();
}

void ShapeActions::addShapeActions() {
  KeyStrokes strokes(Qt::Key_N);
  for (const auto& kind : shape_kinds()) {
    // These come about in other ways.
    if (kind.kind == "picture" || kind.kind == "pieces" || kind.kind == "lettering") continue;
    // Its keys are the same in every language.
    actions_.add(QStringLiteral("shape-") + qs(kind.kind), tr("New shape: %1").arg(worded(kind.label)),
                 strokes.next(qs(kind.label)), [this, kind] {
                   int id = 0;
                   auto next = add_shape(session_.project(), kind.kind, {}, &id);
                   if (!next) return notice_.say(qs(line_of(next.error())), true);
                   session_.commit(std::move(*next), tr("New %1").arg(qs(within_sentence(kind.label))));
                   session_.select({{id, ""}});
                   emit stepAdded(0);
                 });
  }
}

void ShapeActions::addStepActions() {
  KeyStrokes strokes(Qt::Key_S);
  for (const auto& kind : step_kinds()) {
    if (kind.kind == "leave-out") continue;  // made by removing lines
    actions_.add(QStringLiteral("step-") + qs(kind.kind), tr("Add a step: %1").arg(worded(kind.label)),
                 strokes.next(qs(kind.label)), [this, kind] { addStep(kind.kind); });
  }
  actions_.add("outline-behind", tr("New piece behind: the outline of what is selected"),
               Qt::CTRL | Qt::SHIFT | Qt::Key_B, [this] {
                 int id = 0;
                 Project next = add_outline_of(session_.project(), selected(), 3, &id);
                 session_.commit(std::move(next), tr("Outline behind"));
                 session_.select({{id, ""}});
                 emit stepAdded(2);
               });
  actions_.add("placement-template", tr("New piece: a numbered template to lay the selected pieces by"),
               Qt::CTRL | Qt::ALT | Qt::Key_P, [this] {
                 int id = 0;
                 Project next = add_template_of(session_.project(), selected(), &id);
                 session_.commit(std::move(next), tr("Placement template"));
                 session_.select({{id, ""}});
                 emit stepAdded(1);
               });
  actions_.add("paint-layers", tr("New stencils: a plate for each paint of the selected pieces"),
               Qt::CTRL | Qt::ALT | Qt::Key_S, [this] {
                 const int lowest = next_piece_id(session_.project());
                 session_.editDrawn(
                     [ids = selected()](Project next, const Drawing& drawing) {
                       return add_paint_layers(std::move(next), drawing, ids);
                     },
                     tr("Stencils in layers"));
                 session_.whenDerived([this, lowest] {
                   if (!find_piece(session_.project(), lowest)) return;
                   session_.select({{lowest, ""}});
                   emit stepAdded(1);
                 });
               });
  actions_.add("freeze", tr("Freeze the recipe into plain lines"), Qt::CTRL | Qt::SHIFT | Qt::Key_F, [this] {
    session_.editDrawn(
        [ids = selected()](Project next, const Drawing& drawing) {
          for (const int id : ids) next = freeze(std::move(next), drawing, id);
          return next;
        },
        tr("Freeze the recipe"));
  });
  actions_.add("keep-fall-outs", tr("Keep what the piece's openings leave as scraps on the shelf"),
               Qt::CTRL | Qt::ALT | Qt::Key_K, [this] { keepFallOuts(); });
  for (const auto& [kind, text, key] :
       {std::tuple{"join", tr("Join the pieces into one shape"), Qt::CTRL | Qt::SHIFT | Qt::Key_J},
        std::tuple{"cut-away", tr("Cut upper pieces away from the lowest"), Qt::CTRL | Qt::SHIFT | Qt::Key_C},
        std::tuple{"overlap", tr("Keep what the pieces share"), Qt::CTRL | Qt::SHIFT | Qt::Key_O},
        std::tuple{"divide", tr("Divide the lowest piece along the others"), Qt::CTRL | Qt::SHIFT | Qt::Key_D}}) {
    actions_.add(QStringLiteral("combine-") + QString::fromLatin1(kind), text, key,
                 [this, k = std::string(kind), t = text] { combine(k, t); });
  }
  actions_.add("trim", tr("Trim what upper layers hide (all, or what is selected)"), Qt::CTRL | Qt::Key_T, [this] {
    session_.commit(trim_under(session_.project(), selected(), 1), tr("Trim under"));
    session_.whenDerived([this] {
      double saved = 0, before = 0;
      std::size_t slivers = 0;
      for (const auto& piece : session_.drawing().pieces) {
        for (const auto& o : piece->outcomes) {
          saved += o.removed_mm2;
          if (o.removed_mm2 > 0) slivers += o.dropped;
        }
        if (!piece->outcomes.empty()) before += piece->outcomes.back().area_mm2;
      }
      notice_.say(tr("Trimmed: %1 cm² of %2 cm² saved, %3 left out. The tuck-under is 1 mm; change it in the recipe.")
                      .arg(QLocale().toString(saved / 100, 'f', 1), QLocale().toString((before + saved) / 100, 'f', 1),
                           counted(slivers, tr("sliver"), tr("slivers"))),
                  false);
    });
  });
  actions_.add("untrim", tr("Stop trimming: full layers again"), Qt::CTRL | Qt::SHIFT | Qt::Key_T,
               [this] { session_.commit(untrim(session_.project(), selected()), tr("Full layers again")); });
  actions_.add("helper", tr("Only shape others with this piece, or run it again"), Qt::CTRL | Qt::SHIFT | Qt::Key_H,
               [this] {
                 Project next = session_.project();
                 for (const int id : selected()) {
                   const Piece* piece = find_piece(next, id);
                   if (piece) next = set_helper(std::move(next), id, !piece->helper);
                 }
                 session_.commit(std::move(next), tr("Helper or not"));
               });
}

void ShapeActions::keepFallOuts() {
  session_.whenDerived([this, piece = selected().front()] {
    // Counting shapes may take long.
    session_.aside([self = QPointer(this), this, piece, derived = session_.derivedHandle()]() -> std::function<void()> {
      auto next = std::make_shared<Project>(
          keep_fall_outs(derived->project, derived->drawing, piece, derived->project.checks.tiny_mm2));
      return [self, this, derived, next] {
        if (!self) return;
        if (!(derived->project == session_.project()))
          return notice_.say(tr("The project was changed meanwhile; it is as you left it. Do that again."), true);
        std::size_t bits = 0, shapes = 0;
        for (std::size_t i = derived->project.shelf.size(); i < next->shelf.size(); ++i, ++shapes)
          bits += static_cast<std::size_t>(next->shelf[i].count.value_or(0));
        if (bits == 0) return notice_.say(tr("Nothing falls out of this piece."), true);
        session_.commit(std::move(*next), tr("Keep what falls out"));
        notice_.say(tr("%1 of %2 are on the shelf now, for other work.")
                        .arg(counted(bits, tr("bit"), tr("bits")), counted(shapes, tr("shape"), tr("shapes"))),
                    false);
      };
    });
  });
}

void ShapeActions::addStep(const std::string& kind) {
  Project next = session_.project();
  int step = 0;
  for (const int id : selected()) {
    auto result = add_step(next, id, Step{0, kind, true, {}, {}, {}}, &step);
    if (!result) return notice_.say(qs(sentence(result.error().said)), true);
    next = std::move(*result);
  }
  session_.commit(std::move(next), tr("Add a step: %1").arg(worded(find_kind(step_kinds(), kind)->label)));
  emit stepAdded(step);
}

void ShapeActions::combine(const std::string& kind, const QString& label) {
  const auto ids = selected();
  if (ids.size() < 2) return addStep(kind);
  // The lowest of them is shaped by the others.
  int lowest = 0;
  for (const auto& piece : session_.project().pieces) {
    if (std::find(ids.begin(), ids.end(), piece->id) != ids.end()) lowest = piece->id;
  }
  std::vector<double> with;
  for (const int id : ids) {
    if (id != lowest) with.push_back(id);
  }
  int step = 0;
  auto next = add_step(session_.project(), lowest, Step{0, kind, true, {{"with", with}}, {}, {}}, &step);
  if (!next) return notice_.say(qs(sentence(next.error().said)), true);
  if (kind != "cut-away") {
    // They are part of the result now; as helpers they still shape it but are not run themselves.
    for (const double id : with) *next = set_helper(std::move(*next), static_cast<int>(id), true);
  }
  session_.commit(std::move(*next), label);
  session_.select({{lowest, ""}});
  emit stepAdded(step);
}

void ShapeActions::addArrangeActions() {
  struct Entry {
    const char* id;
    QString text;
    QKeySequence key;
    Align how;
  };
  const Entry entries[] = {
      {"align-left", tr("Align left edges"), Qt::ALT | Qt::SHIFT | Qt::Key_Left, Align::left},
      {"align-centre", tr("Align centres across"), Qt::ALT | Qt::SHIFT | Qt::Key_C, Align::centre},
      {"align-right", tr("Align right edges"), Qt::ALT | Qt::SHIFT | Qt::Key_Right, Align::right},
      {"align-top", tr("Align top edges"), Qt::ALT | Qt::SHIFT | Qt::Key_Up, Align::top},
      {"align-middle", tr("Align middles"), Qt::ALT | Qt::SHIFT | Qt::Key_M, Align::middle},
      {"align-bottom", tr("Align bottom edges"), Qt::ALT | Qt::SHIFT | Qt::Key_Down, Align::bottom}};
  for (const auto& e : entries) {
    actions_.add(QString::fromLatin1(e.id), e.text, e.key, [this, how = e.how, text = e.text] {
      session_.editDrawn(
          [ids = selected(), how](const Project& p, const Drawing& d) { return align_pieces(p, d, ids, how); }, text);
    });
  }
  for (const bool across : {true, false}) {
    const QString text = across ? tr("Even gaps across") : tr("Even gaps down");
    actions_.add(across ? "distribute-across" : "distribute-down", text,
                 Qt::ALT | Qt::SHIFT | (across ? Qt::Key_A : Qt::Key_D), [this, across, text] {
                   session_.editDrawn(
                       [ids = selected(), across](const Project& p, const Drawing& d) {
                         return distribute_pieces(p, d, ids, across);
                       },
                       text);
                 });
  }
  actions_.add("group", tr("Group the pieces"), Qt::CTRL | Qt::Key_G, [this] {
    session_.commit(group_pieces(session_.project(), selected(), tr("Group").toStdString()), tr("Group"));
  });
  actions_.add("ungroup", tr("Take the pieces out of their group"), Qt::CTRL | Qt::SHIFT | Qt::Key_G,
               [this] { session_.commit(ungroup_pieces(session_.project(), selected()), tr("Ungroup")); });
  actions_.add("colors-to-stock", tr("Split by colour onto matching stock"), Qt::CTRL | Qt::ALT | Qt::Key_C, [this] {
    session_.editDrawn(
        [ids = selected()](Project next, const Drawing& drawing) {
          // A recipe's colours are its result's: it is frozen first.
          for (const int id : ids) next = colors_to_stock(freeze(std::move(next), drawing, id), id);
          return next;
        },
        tr("Colours to stock"));
  });
  actions_.add("unite-colors", tr("Unite near-equal colours"), Qt::CTRL | Qt::ALT | Qt::Key_U, [this] {
    const auto pairs = near_colors(session_.project());
    if (pairs.empty()) return notice_.say(tr("No two colours differ by less than 5 (CIEDE2000)."), false);
    QStringList list;
    for (std::size_t i = 0; i < std::min<std::size_t>(pairs.size(), 4); ++i) {
      list.append(
          tr("%1 to %2 (%3)")
              .arg(qs(hex(pairs[i].other)), qs(hex(pairs[i].keep)), QLocale().toString(pairs[i].difference, 'f', 1)));
    }
    notice_.ask(
        tr("%1, by their CIEDE2000 difference: %2")
            .arg(counted(pairs.size(), tr("near-equal pair"), tr("near-equal pairs")), list.join(QStringLiteral(", "))),
        {{tr("Unite them"),
          [this, pairs] { session_.commit(unite_colors(session_.project(), pairs), tr("Unite colours")); }},
         {tr("Leave them"), [] {}}});
  });
}

void ShapeActions::remove() {
  std::vector<int> whole;
  for (const auto& ref : session_.selection()) {
    if (ref.line.empty()) whole.push_back(ref.piece);
  }
  std::vector<int> users;
  for (const int id : whole) {
    for (const int user : users_of(session_.project(), id)) {
      if (std::find(whole.begin(), whole.end(), user) == whole.end()) users.push_back(user);
    }
  }
  if (whole.empty()) {
    session_.commit(remove_lines(session_.project(), session_.selectedLines()), tr("Remove"));
    return;
  }
  auto finish = [this, whole](bool freeze_users) {
    session_.editDrawn([whole, freeze_users](const Project& p,
                                             const Drawing& d) { return remove_with_users(p, d, whole, freeze_users); },
                       tr("Remove"));
  };
  if (users.empty()) return finish(false);
  const Piece* user = find_piece(session_.project(), users.front());
  notice_.ask(users.size() == 1 ? tr("%1 is shaped by what you remove.").arg(qs(user->name))
                                : tr("%1 pieces are shaped by what you remove.").arg(users.size()),
              {{tr("Keep its shape (freeze)"), [finish] { finish(true); }},
               {tr("Let it go without"), [finish] { finish(false); }},
               {tr("Do not remove"), [] {}}});
}

void ShapeActions::update() {
  const auto ids = selected();
  const bool any = !ids.empty(), several = ids.size() > 1, some = !session_.project().pieces.empty();
  auto enable = [this](const char* id, bool on) { actions_.find(QString::fromLatin1(id))->setEnabled(on); };
  for (const auto& kind : step_kinds()) {
    if (QAction* action = actions_.find(QStringLiteral("step-") + qs(kind.kind))) action->setEnabled(any);
  }
  for (const char* id :
       {"freeze", "outline-behind", "placement-template", "paint-layers", "helper", "ungroup", "colors-to-stock"})
    enable(id, any);
  for (const char* id :
       {"combine-join", "combine-cut-away", "combine-overlap", "combine-divide", "align-left", "align-centre",
        "align-right", "align-top", "align-middle", "align-bottom", "distribute-across", "distribute-down", "group"})
    enable(id, several);
  enable("keep-fall-outs", ids.size() == 1);
  for (const char* id : {"trim", "untrim", "unite-colors"}) enable(id, some);
}

}  // namespace dotlane
