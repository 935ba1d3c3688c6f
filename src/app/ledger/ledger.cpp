#include "app/ledger/ledger.hpp"

#include <QHBoxLayout>
#include <QLocale>
#include <QPainter>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <map>
#include <memory>
#include <set>

#include "app/ledger/shape_popup.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/arrange.hpp"
#include "render/paint.hpp"
#include "render/role_style.hpp"

namespace dotlane {
namespace {

class RowPainter : public QStyledItemDelegate {
 public:
  RowPainter(const LedgerModel& model, QObject* parent) : QStyledItemDelegate(parent), model_(model) {}

  QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex& index) const override {
    switch (index.data(LedgerModel::KindRole).toInt()) {
      case LedgerModel::stock_row:
        return {200, 27};
      case LedgerModel::group_row:
        return {200, 26};
      case LedgerModel::piece_row:
        return {200, 58};
      default:
        return {200, 24};
    }
  }

  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
    p->save();
    QRectF r = option.rect;
    r.setLeft(0);
    const Theme& t = theme();
    const bool selected = option.state & QStyle::State_Selected;
    const int kind = index.data(LedgerModel::KindRole).toInt();
    if (kind != LedgerModel::stock_row && selected) {
      p->fillRect(r, t.accent_soft);
      p->fillRect(QRectF(0, r.top(), 3, r.height()), t.accent);
    }
    const bool hovered = option.state & QStyle::State_MouseOver;
    if (kind == LedgerModel::stock_row) {
      paintStock(*p, r, hovered, index.data(LedgerModel::StockRole).toString().toStdString());
    } else if (kind == LedgerModel::group_row) {
      paintGroup(*p, r, hovered || selected, index.data(LedgerModel::GroupRole).toString().toStdString());
    } else if (const DrawnPiece* drawn =
                   find_drawn(model_.session().drawing(), index.data(LedgerModel::PieceRole).toInt())) {
      if (kind == LedgerModel::piece_row) {
        paintPiece(*p, r, *drawn, selected, hovered);
      } else {
        const auto at = static_cast<std::size_t>(index.data(LedgerModel::LineRole).toInt());
        if (at < drawn->piece->lines.size()) paintLine(*p, r, *drawn->piece, at);
      }
    }
    if (option.state & QStyle::State_HasFocus && static_cast<const QWidget*>(option.widget)->hasFocus()) {
      p->setRenderHint(QPainter::Antialiasing, false);
      p->setPen(QPen(t.accent, 2));
      p->setBrush(Qt::NoBrush);
      p->drawRect(r.adjusted(1, 1, -1, -1));
    }
    p->restore();
  }

  QWidget* createEditor(QWidget* parent, const QStyleOptionViewItem&, const QModelIndex&) const override {
    auto* line = new QLineEdit(parent);
    line->setObjectName(QStringLiteral("ledgerName"));
    line->setAccessibleName(QObject::tr("Name of the piece"));
    set_kind(line, "boxed");
    return line;
  }
  void updateEditorGeometry(QWidget* editor, const QStyleOptionViewItem& option,
                            const QModelIndex& index) const override {
    QRect row = option.rect;
    row.setLeft(0);
    editor->setGeometry(name_place(row, index.data(LedgerModel::KindRole).toInt()).adjusted(-6, 0, 60, 2));
  }

 private:
  const LedgerModel& model_;

  void paintStock(QPainter& p, const QRectF& r, bool hovered, const std::string& id) const {
    const Theme& t = theme();
    const Project& project = model_.session().project();
    const Stock* stock = find_stock(project, id);
    p.fillRect(r, t.dark ? t.panel.lighter(118) : QColor("#F0E9DC"));
    if (stock) swatch_icon(to_qcolor(stock->color)).paint(&p, QRect(14, static_cast<int>(r.center().y()) - 8, 16, 16));
    QString name = qs(stock ? stock->name : id);
    if (stock && stock->grammage_gsm > 0)
      name += QObject::tr(", %1 g/m²").arg(QLocale().toString(stock->grammage_gsm, 'f', 0));
    p.setFont(ui_font(13, true));
    p.setPen(t.ink);
    const Sheet* sheet = first_sheet(project, id);
    const auto own =
        std::count_if(project.sheets.begin(), project.sheets.end(), [&](const Sheet& s) { return s.stock == id; });
    const bool other_load = sheet && std::any_of(project.sheets.begin(), project.sheets.end(),
                                                 [&](const Sheet& s) { return s.load != sheet->load; });
    const QString mat = own > 1      ? QObject::tr("%1 sheets").arg(own)
                        : other_load ? QObject::tr("mat load %1").arg(sheet->load)
                                     : QObject::tr("1 sheet");
    QFont small = ui_font(11);
    const int mat_width = QFontMetrics(small).horizontalAdvance(mat);
    const bool hidden = std::any_of(project.pieces.begin(), project.pieces.end(),
                                    [&](const auto& piece) { return piece->stock == id && piece->hidden; }) &&
                        std::all_of(project.pieces.begin(), project.pieces.end(),
                                    [&](const auto& piece) { return piece->stock != id || piece->hidden; });
    const int eye = hovered || hidden ? 22 : 0;
    if (eye > 0) eye_icon(!hidden, t.quiet).paint(&p, eye_place(r.toRect(), LedgerModel::stock_row));
    const int room = static_cast<int>(r.right()) - 38 - mat_width - 22 - eye;
    p.drawText(QRectF(38, r.top(), room, r.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(name, Qt::ElideRight, room));
    p.setFont(small);
    p.setPen(t.quiet);
    p.drawText(r.adjusted(0, 0, -14 - eye, 0), Qt::AlignRight | Qt::AlignVCenter, mat);
  }

  /// The lane along the rows of a group: a dot where it begins.
  static void paintLane(QPainter& p, const QRectF& r, bool begins) {
    p.save();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(theme().accent, 1.5));
    p.drawLine(QPointF(9, begins ? r.center().y() : r.top()), QPointF(9, r.bottom()));
    p.setBrush(theme().panel);
    if (begins) p.drawEllipse(QPointF(9, r.center().y()), 3.5, 3.5);
    p.restore();
  }

  void paintGroup(QPainter& p, const QRectF& r, bool icons, const std::string& group) const {
    const Theme& t = theme();
    const Project& project = model_.session().project();
    const auto pieces = pieces_in(project, group);
    const auto all = [&](bool Piece::*what) {
      return std::all_of(pieces.begin(), pieces.end(), [&](int id) { return find_piece(project, id)->*what; });
    };
    const bool hidden = all(&Piece::hidden), locked = all(&Piece::locked);
    paintLane(p, r, true);
    constexpr int kind = LedgerModel::group_row;
    if (icons || hidden) eye_icon(!hidden, hidden ? t.hands : t.quiet).paint(&p, eye_place(r.toRect(), kind));
    if (icons || locked) lock_icon(locked, locked ? t.hands : t.quiet).paint(&p, lock_place(r.toRect(), kind));
    const QString count = QObject::tr("%1 pieces").arg(pieces.size());
    p.setFont(ui_font(11));
    const int wide = p.fontMetrics().horizontalAdvance(count);
    const int right =
        icons || hidden || locked ? lock_place(r.toRect(), kind).left() - 8 : static_cast<int>(r.right()) - 14;
    p.setPen(t.quiet);
    p.drawText(QRectF(right - wide, r.top(), wide, r.height()), Qt::AlignVCenter, count);
    p.setFont(ui_font(12, true));
    p.setPen(hidden ? t.quiet : t.ink);
    const int room = right - wide - 8 - 20;
    p.drawText(QRectF(20, r.top(), room, r.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(qs(group), Qt::ElideRight, room));
  }

  struct Thumbnail {
    std::shared_ptr<const DrawnPiece> of;  // held, so that its address is nobody else's
    bool dark = false;
    Color stock;
    QPixmap picture;
  };
  /// Whether a piece has only been moved.
  static bool looks_alike(const DrawnPiece& a, const DrawnPiece& b) {
    return &a == &b || (a.flat == b.flat && a.stale == b.stale && a.map.a == b.map.a && a.map.b == b.map.b &&
                        a.map.c == b.map.c && a.map.d == b.map.d && a.piece->lines == b.piece->lines);
  }
  static std::shared_ptr<const DrawnPiece> handle_of(const Drawing& drawing, int piece) {
    for (const auto& drawn : drawing.pieces) {
      if (drawn->piece->id == piece) return drawn;
    }
    return nullptr;
  }
  static Color stock_color(const Project& project, const std::string& id) {
    const Stock* stock = find_stock(project, id);
    return stock ? stock->color : Color{255, 255, 255};
  }
  mutable std::map<int, Thumbnail> thumbnails_;

  void paintPiece(QPainter& p, const QRectF& r, const DrawnPiece& drawn, bool selected, bool hovered) const {
    const Theme& t = theme();
    const Session& session = model_.session();
    const Piece& piece = *drawn.piece;
    const QRectF box(16, r.top() + 8, 42, 42);
    {
      // A picture for each state of a piece; painting it anew each time would make scrolling slow.
      Thumbnail& made = thumbnails_[piece.id];
      const Color stock = stock_color(session.project(), piece.stock);
      if (!(made.of && looks_alike(*made.of, drawn)) || made.dark != t.dark || !(made.stock == stock)) {
        made = {handle_of(session.drawing(), piece.id), t.dark, stock, QPixmap(84, 84)};
        made.picture.setDevicePixelRatio(2);
        made.picture.fill(Qt::transparent);
        QPainter q(&made.picture);
        paint_thumbnail(q, QRectF(0, 0, 42, 42), session.project(), drawn, t);
      }
      p.setOpacity(piece.hidden ? 0.35 : 1);
      p.drawPixmap(box.topLeft(), made.picture);
      p.setOpacity(1);
    }
    if (hovered || selected || piece.hidden)
      eye_icon(!piece.hidden, piece.hidden ? t.hands : t.quiet)
          .paint(&p, eye_place(r.toRect(), LedgerModel::piece_row));
    if (hovered || selected || piece.locked)
      lock_icon(piece.locked, piece.locked ? t.hands : t.quiet)
          .paint(&p, lock_place(r.toRect(), LedgerModel::piece_row));
    std::set<Role> roles;
    for (const auto& line : piece.lines) roles.insert(line.role);
    double x = r.right() - 20;
    for (auto it = roles.begin(); it != roles.end(); ++it, x -= 17) {
      paint_role_glyph(p, {x, r.top() + 20}, *it, role_color(*it, t.dark), 10);
    }
    const int room = static_cast<int>(x - 68);
    p.setPen(piece.hidden ? t.quiet : t.ink);
    p.setFont(ui_font(13, selected));
    p.drawText(QRectF(68, r.top() + 9, room, 20), Qt::AlignVCenter,
               p.fontMetrics().elidedText(qs(piece.name), Qt::ElideRight, room));
    p.setFont(ui_font(12));
    p.setPen(t.quiet);
    const LengthUnit unit = session.project().unit;
    QString size = size_text(drawn.bounds, unit) + QChar(' ') + unit_word(unit);
    if (piece.helper) size += QObject::tr("  ·  helper");
    if (piece.not_now) size += QObject::tr("  ·  not this time");
    const std::string outer = outermost_group(piece.group);
    if (piece.group.size() > outer.size()) size += QStringLiteral("  ·  ") + qs(piece.group.substr(outer.size() + 3));
    if (!outer.empty()) paintLane(p, r, false);
    const bool icons = hovered || selected || piece.hidden || piece.locked;
    const int wide =
        (icons ? lock_place(r.toRect(), LedgerModel::piece_row).left() - 4 : static_cast<int>(r.right()) - 16) - 68;
    p.drawText(QRectF(68, r.top() + 29, wide, 18), Qt::AlignVCenter,
               p.fontMetrics().elidedText(size, Qt::ElideRight, wide));
    p.setPen(QPen(t.hairline, 1));
    p.setRenderHint(QPainter::Antialiasing, false);
    p.drawLine(QPointF(16, r.bottom()), QPointF(r.right() - 14, r.bottom()));
  }

  void paintLine(QPainter& p, const QRectF& r, const Piece& piece, std::size_t at) const {
    const Theme& t = theme();
    const Project& project = model_.session().project();
    const Line& line = piece.lines[at];
    paint_role_glyph(p, {76, r.center().y()}, line.role, role_color(line.role, t.dark), 9);
    p.setFont(ui_font(12));
    const QString tool = line.tool.empty() ? role_name(line.role) : tool_name(project, line.tool);
    const int right = std::min(96, p.fontMetrics().horizontalAdvance(tool));
    p.setPen(t.ink);
    const int room = static_cast<int>(r.right()) - 14 - right - 8 - 90;
    p.drawText(QRectF(90, r.top(), room, r.height()), Qt::AlignVCenter,
               p.fontMetrics().elidedText(qs(line.id), Qt::ElideMiddle, room));
    p.setPen(line.role_guessed ? t.hands.darker(t.dark ? 100 : 125) : t.quiet);
    p.drawText(QRectF(r.right() - 14 - right, r.top(), right, r.height()), Qt::AlignRight | Qt::AlignVCenter,
               p.fontMetrics().elidedText(tool, Qt::ElideRight, right));
  }
};

}  // namespace

Ledger::Ledger(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  set_kind(this, "left");
  setAttribute(Qt::WA_StyledBackground);
  model_ = new LedgerModel(session, this);
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 1, 0);
  column->setSpacing(0);
  auto* head = new QHBoxLayout;
  head->setContentsMargins(16, 10, 14, 8);
  head->addWidget(make_label(tr("Ledger"), "heading", this));
  head->addStretch();
  head->addWidget(make_label(tr("top layer first"), "quiet", this));
  column->addLayout(head);
  find_ = new QLineEdit(this);
  find_->setObjectName(QStringLiteral("ledgerFind"));
  find_->setPlaceholderText(tr("Find by name, role, colour, size"));
  find_->setAccessibleName(tr("Find pieces in the ledger"));
  find_->setToolTip(tr("For instance: cliff, draw, teal, 87, 44x110"));
  find_->setClearButtonEnabled(true);
  set_kind(find_, "boxed");
  auto* finding = new QHBoxLayout;
  finding->setContentsMargins(12, 0, 12, 8);
  finding->addWidget(find_);
  column->addLayout(finding);
  connect(find_, &QLineEdit::textChanged, model_, &LedgerModel::setWanted);
  tree_ = new LedgerTree(session, this);
  tree_->setObjectName(QStringLiteral("ledger"));
  tree_->setAccessibleName(tr("Ledger: pieces and their lines"));
  tree_->setModel(model_);
  tree_->setItemDelegate(new RowPainter(*model_, tree_));
  tree_->setHeaderHidden(true);
  tree_->setIndentation(0);
  tree_->setRootIsDecorated(false);
  tree_->setSelectionMode(QAbstractItemView::ExtendedSelection);
  tree_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  tree_->setHorizontalScrollBarPolicy(Qt::ScrollBarAlwaysOff);
  column->addWidget(tree_, 1);
  connect(tree_->selectionModel(), &QItemSelectionModel::selectionChanged, this, &Ledger::followTree);
  connect(model_, &QAbstractItemModel::modelReset, this, &Ledger::followSession);
  connect(&session_, &Session::shown, this, &Ledger::followSession);
}

void Ledger::addButtons(const Actions& actions) {
  auto* row = new QHBoxLayout;
  row->setContentsMargins(8, 8, 8, 12);
  row->setSpacing(6);
  for (const auto& [id, text] : {std::pair{"bring-in", tr("Bring in")}, std::pair{"lettering-new", tr("Words")}}) {
    QAction* action = actions.find(QString::fromLatin1(id));
    auto* button = new QPushButton(text, this);
    button->setObjectName(QStringLiteral("ledger-") + QString::fromLatin1(id));
    button->setToolTip(action->text() + QStringLiteral("  ") + action->shortcut().toString(QKeySequence::NativeText));
    button->setEnabled(action->isEnabled());
    connect(button, &QPushButton::clicked, action, &QAction::trigger);
    connect(action, &QAction::changed, button, [button, action] { button->setEnabled(action->isEnabled()); });
    row->addWidget(button);
  }
  auto* shape = new QPushButton(tr("Shape"), this);
  shape->setObjectName(QStringLiteral("newShape"));
  auto* shapes = new ShapePopup(actions, this);
  connect(shape, &QPushButton::clicked, shapes, [shapes, shape] { shapes->openAbove(shape); });
  row->addWidget(shape);
  static_cast<QVBoxLayout*>(layout())->addLayout(row);
}

void Ledger::rename() {
  // A piece, or the group that is selected as a whole: its row comes first.
  const auto& pieces = session_.selectedPieces();
  std::vector<LineRef> whole;
  for (const int id : pieces) whole.push_back({id, ""});
  QModelIndex row;
  for (const auto& range : model_->selectionOf(whole)) {
    if (!row.isValid() || range.top() < row.row()) row = range.topLeft();
  }
  if (!row.isValid() || (pieces.size() > 1 && row.data(LedgerModel::KindRole).toInt() != LedgerModel::group_row))
    return;
  tree_->setFocus();
  tree_->edit(row);
}

/// The rows of what is selected, marked.
QItemSelection Ledger::mark() {
  const QItemSelection picked = model_->selectionOf(session_.selection());
  tree_->selectionModel()->select(picked, QItemSelectionModel::ClearAndSelect);
  return picked;
}

void Ledger::followSession() {
  if (following_) return;
  following_ = true;
  const QItemSelection picked = mark();
  for (const auto& range : picked) {
    if (range.parent().isValid()) tree_->expand(range.parent());
  }
  if (!picked.isEmpty()) tree_->scrollTo(picked.front().topLeft());
  following_ = false;
}

void Ledger::followTree() {
  if (following_) return;
  following_ = true;
  const auto rows = tree_->selectionModel()->selectedIndexes();
  // A group's row stands for its pieces while hands are on it; else each row stands for itself.
  const QModelIndex current = tree_->currentIndex();
  const bool on_group = current.data(LedgerModel::KindRole).toInt() == LedgerModel::group_row;
  const auto group = on_group ? model_->refsAt(current) : std::vector<LineRef>{};
  std::set<LineRef> known(group.begin(), group.end());
  std::vector<LineRef> refs = on_group && rows.contains(current) ? group : std::vector<LineRef>{};
  for (const QModelIndex& row : rows) {
    if (row.data(LedgerModel::KindRole).toInt() == LedgerModel::group_row) continue;
    for (const auto& ref : model_->refsAt(row)) {
      if (known.insert(ref).second) refs.push_back(ref);
    }
  }
  session_.select(std::move(refs));
  (void)mark();
  following_ = false;
}

}  // namespace dotlane
