#include "app/panels/recipe_panel.hpp"

#include <QCheckBox>
#include <QGridLayout>
#include <QLocale>
#include <QMenu>
#include <QPainter>
#include <map>
#include <set>

#include "app/shape_actions.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/text_scan.hpp"
#include "render/role_style.hpp"

namespace dotlane {

RecipePanel::RecipePanel(Session& session, QWidget* parent) : Panel(tr("Recipe"), parent), session_(session) {
  setObjectName(QStringLiteral("recipePanel"));
  empty_ = make_label({}, "quiet", body());
  column()->addWidget(empty_);
  content_ = new QWidget(body());
  auto* box = new QVBoxLayout(content_);
  box->setContentsMargins(0, 0, 0, 0);
  box->setSpacing(8);
  column()->addWidget(content_);

  piece_part_ = new QWidget(content_);
  auto* piece = new QVBoxLayout(piece_part_);
  piece->setContentsMargins(0, 0, 0, 0);
  piece->setSpacing(8);
  box->addWidget(piece_part_);

  auto* card = new QFrame(piece_part_);
  set_kind(card, "card");
  auto* sizes = new QGridLayout(card);
  sizes->setContentsMargins(10, 6, 8, 8);
  sizes->setHorizontalSpacing(8);
  sizes->setVerticalSpacing(0);
  sizes->addWidget(make_label(tr("width"), "quiet", card), 0, 0);
  sizes->addWidget(make_label(tr("height"), "quiet", card), 0, 1);
  width_ = new NumberField(tr("Width"), NumberField::Kind::length, card);
  height_ = new NumberField(tr("Height"), NumberField::Kind::length, card);
  for (auto* f : {width_, height_}) f->setFigure(), f->setRange(0.1, 5000);
  width_->setObjectName(QStringLiteral("widthField"));
  height_->setObjectName(QStringLiteral("heightField"));
  sizes->addWidget(width_, 1, 0);
  sizes->addWidget(height_, 1, 1);
  lock_ = new QToolButton(card);
  lock_->setObjectName(QStringLiteral("aspectLock"));
  set_kind(lock_, "flat");
  lock_->setCheckable(true);
  sizes->addWidget(lock_, 0, 2, 2, 1, Qt::AlignCenter);
  scale_steps_ = new QCheckBox(tr("lengths in recipes grow along"), card);
  scale_steps_->setObjectName(QStringLiteral("scaleSteps"));
  scale_steps_->setToolTip(
      tr("Off: an offset of 3 mm stays 3 mm, whatever the size. On: lengths typed in steps are sized as well."));
  sizes->addWidget(scale_steps_, 2, 0, 1, 3);
  connect(scale_steps_, &QCheckBox::clicked, &session_, &Session::setScalesSteps);
  piece->addWidget(card);
  connect(width_, &NumberField::edited, this, [this](double mm) { resize(true, mm); });
  connect(height_, &NumberField::edited, this, [this](double mm) { resize(false, mm); });
  for (auto* f : {width_, height_}) connect(f, &NumberField::committed, &session_, &Session::seal);
  connect(lock_, &QToolButton::clicked, this, [this](bool on) {
    Project next = session_.project();
    for (const int id : session_.selectedPieces()) next = set_aspect_lock(std::move(next), id, on);
    session_.commit(std::move(next), on ? tr("Keep proportions") : tr("Free proportions"));
  });

  steps_ = new RecipeSteps(session_, piece_part_);
  connect(steps_, &RecipeSteps::refused, this, &RecipePanel::refused);
  piece->addWidget(steps_);
  auto* more = new QHBoxLayout;
  more->setSpacing(6);
  add_step_ = new QPushButton(tr("Add a step"), piece_part_);
  add_step_->setObjectName(QStringLiteral("addStep"));
  set_kind(add_step_, "soft");
  freeze_ = new QPushButton(tr("Freeze"), piece_part_);
  freeze_->setObjectName(QStringLiteral("freezeRecipe"));
  freeze_->setToolTip(tr("Make plain lines of it; the recipe is gone"));
  more->addWidget(add_step_, 1);
  more->addWidget(freeze_);
  piece->addLayout(more);
  together_ = new QWidget(piece_part_);
  together_->setObjectName(QStringLiteral("together"));
  piece->addWidget(together_);

  auto* form = new QFormLayout;
  form->setContentsMargins(0, 0, 0, 0);
  form->setHorizontalSpacing(10);
  form->setVerticalSpacing(2);
  auto field = [&](const QString& name, const QString& label, const char* id) {
    auto* f = new NumberField(name, NumberField::Kind::length, piece_part_);
    f->setObjectName(QString::fromLatin1(id));
    f->setRange(-5000, 5000);
    form->addRow(make_label(label, "quiet", piece_part_), f);
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  x_ = field(tr("Distance from the left edge of the mat"), tr("from left"), "xField");
  y_ = field(tr("Distance from the top edge of the mat"), tr("from top"), "yField");
  connect(x_, &NumberField::edited, this, [this](double mm) { place(true, mm); });
  connect(y_, &NumberField::edited, this, [this](double mm) { place(false, mm); });
  stock_ = new QComboBox(piece_part_);
  stock_->setObjectName(QStringLiteral("stockBox"));
  stock_->setAccessibleName(tr("Stock of the piece"));
  form->addRow(make_label(tr("stock"), "quiet", piece_part_), stock_);
  turn_ = new NumberField(tr("Turn by degrees, counter-clockwise"), NumberField::Kind::plain, piece_part_,
                          QStringLiteral("°"), 1);
  turn_->setRange(-360, 360);
  auto* turn = new QPushButton(tr("Turn"), piece_part_);
  set_kind(turn, "chip");
  auto* turning = new QHBoxLayout;
  turning->setSpacing(6);
  turn_->setValue(90);
  turning->addWidget(turn_, 1);
  turning->addWidget(turn);
  form->addRow(make_label(tr("turn by"), "quiet", piece_part_), turning);
  piece->addLayout(form);
  held_ = new HeldList(session_, piece_part_);
  piece->addWidget(held_);
  connect(stock_, &QComboBox::activated, this, [this](int row) {
    Project next = session_.project();
    for (const int id : session_.selectedPieces())
      next = set_stock(std::move(next), id, stock_->itemData(row).toString().toStdString());
    session_.commit(std::move(next), tr("Change the stock"));
  });
  turn->setObjectName(QStringLiteral("turnBy"));
  turn_->setObjectName(QStringLiteral("turnField"));
  connect(turn, &QPushButton::clicked, this, [this] {
    session_.editDrawn([ids = session_.selectedPieces(), by = turn_->value()](
                           const Project& p, const Drawing& d) { return turn_pieces(p, d, ids, by); },
                       tr("Turn"));
  });

  box->addWidget(make_line(content_));
  lines_heading_ = make_label({}, "heading", content_);
  box->addWidget(lines_heading_);
  line_figures_ = new LineFigureLabel(session_, content_);
  box->addWidget(line_figures_);
  auto* chips = new QGridLayout;
  chips->setHorizontalSpacing(5);
  chips->setVerticalSpacing(5);
  int at = 0;
  for (const Role role : kRoles) {
    auto* chip = new QPushButton(role_name(role), content_);
    chip->setObjectName(QStringLiteral("role-") + qs(word(role)));
    chip->setAccessibleName(tr("Role: %1").arg(role_name(role)));
    chip->setCheckable(true);
    chip->setProperty("role", static_cast<int>(role));
    set_kind(chip, "chip");
    chips->addWidget(chip, at / 3, at % 3);
    ++at;
    role_chips_.push_back(chip);
    connect(chip, &QPushButton::clicked, this, [this, role] {
      session_.commit(assign_role(session_.project(), session_.selectedLines(), role),
                      tr("Make it %1").arg(role_name(role)));
      updateLines();
    });
  }
  box->addLayout(chips);
  auto* with = new QGridLayout;
  with->setHorizontalSpacing(6);
  with->setVerticalSpacing(2);
  with->addWidget(make_label(tr("with"), "quiet", content_), 0, 0);
  tool_ = new QComboBox(content_);
  tool_->setObjectName(QStringLiteral("toolBox"));
  tool_->setAccessibleName(tr("Tool of the selected lines"));
  with->addWidget(tool_, 0, 1);
  with->addWidget(make_label(tr("repeats"), "quiet", content_), 1, 0);
  repeats_ = new NumberField(tr("Times the tool goes over the lines; 0 = as the stock says"), NumberField::Kind::plain,
                             content_, tr("times"));
  repeats_->setRange(0, 99);
  repeats_->setZero(tr("as stock"));
  repeats_->setToolTip(tr("0 = as the stock says"));
  with->addWidget(repeats_, 1, 1, Qt::AlignLeft);
  by_stroke_ = new QCheckBox(tr("stroke by stroke"), content_);
  by_stroke_->setObjectName(QStringLiteral("strokeByStroke"));
  by_stroke_->setToolTip(tr("Repeats go over each stroke at once, without lifting, instead of the whole pass again"));
  with->addWidget(by_stroke_, 2, 1, Qt::AlignLeft);
  connect(by_stroke_, &QCheckBox::clicked, this, [this](bool on) {
    session_.commit(set_stroke_by_stroke(session_.project(), session_.selectedLines(), on),
                    on ? tr("Repeat stroke by stroke") : tr("Repeat pass by pass"));
  });
  raised_name_ = make_label(tr("stands up by"), "quiet", content_);
  raised_ = new NumberField(tr("How high what the guide outlines stands up from the sheet; 0 = it does not"),
                            NumberField::Kind::length, content_);
  raised_->setObjectName(QStringLiteral("raised"));
  raised_->setRange(0, 100);
  raised_->setZero(tr("flat"));
  raised_->setToolTip(tr("A handle, rim or hook of a blank: it must not come under the bar, nor under a roller"));
  with->addWidget(raised_name_, 3, 0);
  with->addWidget(raised_, 3, 1, Qt::AlignLeft);
  connect(raised_, &NumberField::edited, this, [this](double mm) {
    session_.commit(set_raised(session_.project(), session_.selectedLines(), mm), tr("Say what stands up"), "raised");
  });
  connect(raised_, &NumberField::committed, &session_, &Session::seal);
  with->setColumnStretch(1, 1);
  box->addLayout(with);
  connect(tool_, &QComboBox::activated, this, [this](int row) {
    const std::string id = tool_->itemData(row).toString().toStdString();
    std::map<Role, std::vector<LineRef>> by_role;
    for (const auto& ref : session_.selectedLines()) {
      for (const auto& line : find_drawn(session_.drawing(), ref.piece)->piece->lines) {
        if (line.id == ref.line) by_role[line.role].push_back(ref);
      }
    }
    Project next = session_.project();
    for (const auto& [role, refs] : by_role) next = assign_role(std::move(next), refs, role, id);
    session_.commit(std::move(next), tr("Change the tool"));
  });
  connect(repeats_, &NumberField::edited, this, [this](double n) {
    session_.commit(set_repeats(session_.project(), session_.selectedLines(), static_cast<int>(n)),
                    tr("Change the repeats"), "repeats");
  });
  connect(repeats_, &NumberField::committed, &session_, &Session::seal);
  confirm_ = new QPushButton(content_);
  confirm_->setObjectName(QStringLiteral("confirmRoles"));
  set_kind(confirm_, "soft");
  box->addWidget(confirm_);
  connect(confirm_, &QPushButton::clicked, this, [this] {
    session_.commit(confirm_roles(session_.project(), session_.selectedLines()), tr("Confirm the roles"));
  });
  box->addWidget(make_label(tr("Lines by colour and layer"), "heading", content_));
  colors_ = new QVBoxLayout;
  colors_->setSpacing(1);
  box->addLayout(colors_);
  column()->addStretch();

  connect(&session_, &Session::shown, this, &RecipePanel::update);
  update();
}

void RecipePanel::resize(bool width, double mm) {
  Sizing sizing;
  (width ? sizing.width_mm : sizing.height_mm) = mm;
  sizing.scale_steps = session_.scalesSteps();
  session_.size(session_.selectedPieces(), sizing, "type-size");
}

void RecipePanel::place(bool x, double mm) {
  session_.editDrawn(
      [ids = session_.selectedPieces(), selection = session_.selection(), x, mm](const Project& p, const Drawing& d) {
        const Box box = bounds_of(d, selection);
        return box.empty() ? p : move_pieces(p, ids, x ? Vec{mm - box.x0, 0} : Vec{0, mm - box.y0});
      },
      tr("Move"), "type-place");
}

void RecipePanel::update() {
  const auto& project = session_.project();
  const auto pieces = session_.selectedPieces();
  const bool any = !pieces.empty();
  empty_->setVisible(!any);
  content_->setVisible(any);
  static_cast<QLabel*>(empty_)->setText(
      project.pieces.empty() ? tr("Nothing here yet. Bring in a drawing with Ctrl+I, or drop a file on the bench.")
                             : tr("Click a piece on the bench or in the ledger to see its size, its stock and what its "
                                  "lines are for. Click it again to pick a single line."));
  if (!any) {
    setSubject({});
    return;
  }
  const Piece* piece = find_piece(project, pieces.front());
  setSubject(pieces.size() == 1 ? qs(piece->name) : counted(pieces.size(), tr("piece"), tr("pieces")));
  const bool whole = std::any_of(session_.selection().begin(), session_.selection().end(),
                                 [](const LineRef& r) { return r.line.empty(); });
  piece_part_->setVisible(whole);
  if (whole) updatePiece(*piece, bounds_of(session_.drawing(), session_.selection()));
  updateLines();
}

void RecipePanel::updatePiece(const Piece& piece, const Box& bounds) {
  const Project& project = session_.project();
  const LengthUnit unit = project.unit;
  const auto pieces = session_.selectedPieces();
  const bool single = pieces.size() == 1;
  // While a size is being worked out, the fields say what was asked for.
  const bool waits = std::any_of(pieces.begin(), pieces.end(), [this](int id) {
    const DrawnPiece* drawn = find_drawn(session_.drawing(), id);
    return drawn && drawn->stale;
  });
  if (!session_.editing() && !waits) {
    width_->setValue(bounds.width(), unit);
    height_->setValue(bounds.height(), unit);
    x_->setValue(bounds.x0, unit);
    y_->setValue(bounds.y0, unit);
  }
  const bool sizable = !single || piece.source.kind != "pieces";  // else it is as large as what it is made of
  width_->setEnabled(sizable);
  height_->setEnabled(sizable);
  scale_steps_->setVisible(has_typed_lengths(project, pieces));
  scale_steps_->setChecked(session_.scalesSteps());
  const bool locked = keeps_proportions(project, pieces);
  lock_->setChecked(locked);
  lock_->setIcon(lock_icon(locked, locked ? theme().accent : theme().quiet));
  lock_->setToolTip(locked ? tr("Proportions are kept") : tr("Proportions are free"));
  lock_->setAccessibleName(tr("Keep proportions"));
  if (stock_->count() != static_cast<int>(project.stocks.size())) stock_->clear();
  const bool one_stock = std::all_of(pieces.begin(), pieces.end(), [&](int id) {
    const Piece* p = find_piece(project, id);
    return p && p->stock == piece.stock;
  });
  stock_->setPlaceholderText(tr("several stocks"));
  for (std::size_t i = 0; i < project.stocks.size(); ++i) {
    const auto& s = project.stocks[i];
    if (stock_->count() <= static_cast<int>(i)) stock_->addItem(QString());
    const int row = static_cast<int>(i);
    stock_->setItemText(row, qs(s.name));
    stock_->setItemIcon(row, swatch_icon(to_qcolor(s.color)));
    stock_->setItemData(row, qs(s.id));
    if (s.id == piece.stock && one_stock) stock_->setCurrentIndex(row);
  }
  if (!one_stock) stock_->setCurrentIndex(-1);
  steps_->show(single ? piece.id : 0);
  held_->show(single ? piece.id : 0);
  add_step_->setVisible(true);
  freeze_->setVisible(!piece.plain());
  together_->setVisible(!single);
}

void RecipePanel::addMenus(const Actions& actions) {
  auto* menu = new QMenu(add_step_);
  fill_step_menu(*menu, actions);
  add_step_->setMenu(menu);
  connect(freeze_, &QPushButton::clicked, actions.find(QStringLiteral("freeze")), &QAction::trigger);
  auto* column = new QVBoxLayout(together_);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(5);
  struct Row {
    QString heading;
    std::vector<std::pair<const char*, QString>> entries;
  };
  const Row rows[] = {{tr("Combine"),
                       {{"combine-join", tr("Join")},
                        {"combine-cut-away", tr("Cut away")},
                        {"combine-overlap", tr("Overlap")},
                        {"combine-divide", tr("Divide")},
                        {"trim", tr("Trim under")},
                        {"group", tr("Group")}}},
                      {tr("Align"),
                       {{"align-left", tr("Left")},
                        {"align-centre", tr("Centre")},
                        {"align-right", tr("Right")},
                        {"align-top", tr("Top")},
                        {"align-middle", tr("Middle")},
                        {"align-bottom", tr("Bottom")}}},
                      {tr("Mirror"), {{"mirror-across", tr("Left to right")}, {"mirror-down", tr("Top to bottom")}}},
                      {tr("Even gaps"), {{"distribute-across", tr("Across")}, {"distribute-down", tr("Down")}}}};
  for (const auto& row : rows) {
    column->addWidget(make_label(row.heading, "heading", together_));
    auto* grid = new QGridLayout;
    grid->setSpacing(5);
    for (std::size_t i = 0; i < row.entries.size(); ++i) {
      QAction* action = actions.find(QString::fromLatin1(row.entries[i].first));
      auto* button = new QPushButton(row.entries[i].second, together_);
      button->setObjectName(QStringLiteral("recipe-") + QString::fromLatin1(row.entries[i].first));
      set_kind(button, "chip");
      button->setToolTip(action->text() + QStringLiteral("  ") + action->shortcut().toString(QKeySequence::NativeText));
      connect(button, &QPushButton::clicked, action, &QAction::trigger);
      grid->addWidget(button, static_cast<int>(i) / 3, static_cast<int>(i) % 3);
    }
    column->addLayout(grid);
  }
}

void RecipePanel::updateLines() {
  const Project& project = session_.project();
  const auto refs = session_.selectedLines();
  std::set<Role> roles;
  std::set<std::string> tools;
  std::set<int> repeats;
  int guessed = 0;
  bool by_stroke = false;
  double raised = 0;
  struct Group {
    std::vector<LineRef> lines;
    Role role = Role::cut;
    std::string tool;
  };
  std::map<Color, Group> by_color;
  std::map<std::string, std::vector<LineRef>> by_layer;
  const std::set<LineRef> wanted(refs.begin(), refs.end());
  for (const int id : session_.selectedPieces()) {
    const DrawnPiece* drawn = find_drawn(session_.drawing(), id);
    if (!drawn) continue;
    for (const auto& line : drawn->piece->lines) {
      const LineRef ref{id, line.id};
      auto& group = by_color[line.color];
      group.lines.push_back(ref);
      group.role = line.role;
      group.tool = line.tool;
      if (!line.layer.empty()) by_layer[line.layer].push_back(ref);
      if (!wanted.contains(ref)) continue;
      roles.insert(line.role);
      tools.insert(line.tool);
      repeats.insert(line.repeats);
      guessed += line.role_guessed;
      by_stroke = by_stroke || line.stroke_by_stroke;
      raised = std::max(raised, line.raised_mm);
    }
  }
  line_figures_->show(session_.selection().size() == 1 ? session_.selection().front() : LineRef{});
  lines_heading_->setText(refs.size() == 1 ? tr("Line %1 is for").arg(qs(refs.front().line))
                                           : tr("%1 lines are for").arg(refs.size()));
  for (auto* chip : role_chips_) {
    const auto role = static_cast<Role>(chip->property("role").toInt());
    chip->setChecked(roles.contains(role));
    chip->setIcon(role_icon(role, roles.contains(role) ? theme().accent : theme().quiet));
  }
  tool_->clear();
  const Role role = roles.empty() ? Role::guide : *roles.begin();
  if (roles.size() == 1 && runs(role)) {
    for (const auto& tool : project.tools) {
      if (!serves(tool, role)) continue;
      tool_->addItem(
          role == Role::draw ? swatch_icon(to_qcolor(tool.ink)) : role_icon(role, role_color(role, theme().dark)),
          qs(tool.name), qs(tool.id));
    }
    if (tools.size() == 1) {
      int row = tool_->findData(qs(*tools.begin()));
      if (row < 0 && !tools.begin()->empty()) {
        tool_->addItem(tr("%1 (cannot %2)").arg(tool_name(project, *tools.begin()), role_name(role)),
                       qs(*tools.begin()));
        row = tool_->count() - 1;
      }
      tool_->setCurrentIndex(row);
    } else {
      tool_->setCurrentIndex(-1);
      tool_->setPlaceholderText(tr("several tools"));
    }
  }
  tool_->setEnabled(tool_->count() > 0);
  if (tool_->count() == 0) tool_->setPlaceholderText(roles.size() > 1 ? tr("several roles") : tr("no tool"));
  if (tool_->count() == 0) tool_->setCurrentIndex(-1);
  repeats_->setValue(repeats.size() == 1 ? *repeats.begin() : 0);
  by_stroke_->setChecked(by_stroke);
  const bool guides = roles.size() == 1 && role == Role::guide;
  raised_name_->setVisible(guides), raised_->setVisible(guides);
  raised_->setValue(raised, project.unit);
  confirm_->setVisible(guessed > 0);
  confirm_->setText(guessed == 1 ? tr("Confirm the guessed role") : tr("Confirm %1 guessed roles").arg(guessed));

  // Rebuilt only when it would read otherwise: rows keep the keyboard's place.
  std::string key;
  for (const auto& [color, group] : by_color)
    key += hex(color) + std::to_string(group.lines.size()) + std::to_string(static_cast<int>(group.role)) + group.tool +
           std::to_string(group.lines.front().piece);
  for (const auto& [layer, lines] : by_layer) key += layer + std::to_string(lines.size());
  if (key == colors_shown_) return;
  colors_shown_ = key;
  clear(colors_);
  auto add = [&](const QIcon& icon, const QString& text, const std::vector<LineRef>& lines) {
    auto* row = new QPushButton(icon, text, content_);
    set_kind(row, "row");
    row->setToolTip(tr("Select these lines"));
    connect(row, &QPushButton::clicked, this, [this, lines] { session_.select(lines); });
    colors_->addWidget(row);
  };
  for (const auto& [color, group] : by_color) {
    add(swatch_icon(to_qcolor(color)),
        counted(group.lines.size(), tr("line"), tr("lines")) + QStringLiteral("  ·  ") + role_name(group.role) +
            (group.tool.empty() ? QString() : QStringLiteral(", ") + tool_name(project, group.tool)),
        group.lines);
  }
  if (by_layer.size() > 1) {
    for (const auto& [layer, lines] : by_layer)
      add(QIcon(),
          tr("Layer %1").arg(qs(layer)) + QStringLiteral("  ·  ") + counted(lines.size(), tr("line"), tr("lines")),
          lines);
  }
}

}  // namespace dotlane
