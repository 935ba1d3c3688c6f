#include "app/lettering/face_chooser.hpp"

#include <QCoreApplication>
#include <QDialogButtonBox>
#include <QHBoxLayout>
#include <QKeyEvent>
#include <QMouseEvent>
#include <QPainter>
#include <QPointer>
#include <QSettings>
#include <QStyledItemDelegate>
#include <QVBoxLayout>
#include <numbers>
#include <optional>

#include "app/help/help_desk.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/shape/lettering.hpp"
#include "render/letter_paint.hpp"

namespace dotlane {
namespace {

enum FaceData { kName = Qt::UserRole, kSummary, kShipped, kStroke, kFavourite };
constexpr int kRowHeight = 62, kStarWidth = 40;
constexpr const char* kFavourites = "lettering/favourites";

/// The words in one face, made when the row is first painted.
struct Sample {
  Path path;
  bool strokes = false, reserved = false, broken = false;
};

class Rows : public QStyledItemDelegate {
 public:
  Rows(std::string words, QObject* parent) : QStyledItemDelegate(parent), words_(std::move(words)) {}

  QSize sizeHint(const QStyleOptionViewItem&, const QModelIndex&) const override { return {300, kRowHeight}; }

  void paint(QPainter* p, const QStyleOptionViewItem& option, const QModelIndex& index) const override {
    const Theme& t = theme();
    p->save();
    const QRectF row = QRectF(option.rect).adjusted(3, 1, -3, -1);
    if (option.state & (QStyle::State_Selected | QStyle::State_MouseOver)) {
      QColor wash = t.accent_soft;
      if (!(option.state & QStyle::State_Selected)) wash.setAlpha(110);
      p->setRenderHint(QPainter::Antialiasing);
      p->setPen(Qt::NoPen);
      p->setBrush(wash);
      p->drawRoundedRect(row, 8, 8);
    }
    const Sample& s = sample(index.data(kName).toString());
    const QRectF inner = row.adjusted(10, 6, -kStarWidth, -6);
    if (s.broken) {
      p->setPen(t.serious);
      p->setFont(ui_font(13));
      p->drawText(inner.adjusted(0, 0, 0, -18), Qt::AlignVCenter, QObject::tr("cannot be opened"));
    } else {
      // One size for all rows, smaller where the words would not fit.
      paint_letters(*p, inner.adjusted(0, 0, 0, -19), s.path, s.strokes, t.ink, 1.5, Qt::AlignLeft);
    }
    p->setFont(ui_font(12, true));
    const QString name = index.data(kName).toString();
    const QRectF line(inner.left(), inner.bottom() - 16, inner.width(), 17);
    p->setPen(t.ink);
    p->drawText(line, Qt::AlignLeft | Qt::AlignVCenter, name);
    QString marks;
    auto mark = [&](const QString& m) { marks += (marks.isEmpty() ? QString() : QStringLiteral("  ·  ")) + m; };
    const QString summary = index.data(kSummary).toString();
    if (!summary.isEmpty()) mark(summary);
    if (index.data(kShipped).toBool()) {
      mark(QObject::tr("comes with Dot Lane"));
    } else if (index.data(kStroke).toBool() || s.strokes) {
      mark(QObject::tr("one stroke"));
    }
    p->setFont(ui_font(12));
    const double at = QFontMetricsF(ui_font(12, true)).horizontalAdvance(name) + 12;
    if (s.reserved) {
      p->setPen(t.serious);
      p->drawText(line.adjusted(at, 0, 0, 0), Qt::AlignVCenter, QObject::tr("outlines reserved: see its licence"));
    } else {
      p->setPen(t.quiet);
      p->drawText(line.adjusted(at, 0, 0, 0), Qt::AlignVCenter,
                  QFontMetricsF(p->font()).elidedText(marks, Qt::ElideRight, line.width() - at));
    }
    paintStar(*p, starBox(option.rect), index.data(kFavourite).toBool());
    p->restore();
  }

  static QRectF starBox(const QRect& row) { return QRectF(row.right() - kStarWidth + 8, row.center().y() - 9, 18, 18); }

 private:
  static void paintStar(QPainter& p, const QRectF& box, bool on) {
    QPainterPath star;
    for (int i = 0; i < 10; ++i) {
      const double a = i * std::numbers::pi / 5, r = i % 2 == 0 ? box.width() / 2 : box.width() / 4.6;
      const QPointF at = box.center() + QPointF(r * std::sin(a), -r * std::cos(a));
      i == 0 ? star.moveTo(at) : star.lineTo(at);
    }
    star.closeSubpath();
    p.setRenderHint(QPainter::Antialiasing);
    p.setPen(QPen(on ? theme().hands : theme().quiet, 1.2));
    p.setBrush(on ? QBrush(theme().hands) : QBrush(Qt::NoBrush));
    p.drawPath(star);
  }

  const Sample& sample(const QString& name) const {
    if (const auto known = samples_.constFind(name); known != samples_.constEnd()) return known.value();
    Sample made;
    // An ampersand and figures say more of a face than missing words do.
    const auto face = find_face(name.toStdString());
    if (!face) {
      made.broken = true;
    } else {
      const Lettering set = set_lettering({{"text", words_}, {"font", name.toStdString()}, {"size", 14.0}});
      made.strokes = set.strokes;
      made.reserved = !(*face)->about().outlines_allowed;
      for (const auto& letter : set.letters) {
        const Path own = placed(letter);
        made.path.contours.insert(made.path.contours.end(), own.contours.begin(), own.contours.end());
      }
    }
    return samples_.insert(name, std::move(made)).value();
  }
  std::string words_;
  mutable QHash<QString, Sample> samples_;
};

}  // namespace

FaceChooser::FaceChooser(Session& session, const QString& words, const QString& now, QWidget* parent)
    : QDialog(parent), now_(now) {
  setObjectName(QStringLiteral("faceChooser"));
  set_help(this, "lettering");
  setWindowTitle(tr("Typeface"));
  resize(600, 560);
  const auto kept = QSettings().value(QString::fromLatin1(kFavourites)).toStringList();
  favourites_ = QSet<QString>(kept.begin(), kept.end());
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(12, 12, 12, 12);
  column->setSpacing(8);
  auto* top = new QHBoxLayout;
  search_ = new QLineEdit(this);
  search_->setObjectName(QStringLiteral("faceSearch"));
  set_kind(search_, "boxed");
  search_->setPlaceholderText(tr("Search typefaces"));
  search_->setAccessibleName(tr("Search typefaces"));
  search_->installEventFilter(this);
  top->addWidget(search_, 1);
  auto chip = [&](const QString& text, const char* name) {
    auto* b = new QPushButton(text, this);
    b->setObjectName(QString::fromLatin1(name));
    b->setCheckable(true);
    set_kind(b, "chip");
    connect(b, &QPushButton::toggled, this, &FaceChooser::filter);
    top->addWidget(b);
    return b;
  };
  favourites_only_ = chip(tr("Favourites"), "favouritesOnly");
  strokes_only_ = chip(tr("One stroke"), "strokesOnly");
  column->addLayout(top);
  list_ = new QListWidget(this);
  list_->setObjectName(QStringLiteral("faceList"));
  list_->setAccessibleName(tr("Typefaces"));
  list_->setMouseTracking(true);
  list_->setVerticalScrollMode(QAbstractItemView::ScrollPerPixel);
  list_->setUniformItemSizes(true);
  QString shown = words.section(QLatin1Char('\n'), 0, 0).trimmed().left(28);
  if (shown.isEmpty()) shown = tr("Lantern & 1894");
  list_->setItemDelegate(new Rows(shown.toStdString(), list_));
  list_->viewport()->installEventFilter(this);
  list_->installEventFilter(this);
  column->addWidget(list_, 1);
  auto* bottom = new QHBoxLayout;
  auto* hint = make_label(tr("A star keeps a typeface among the favourites (F)."), "quiet", this);
  bottom->addWidget(hint, 1);
  auto* buttons = new QDialogButtonBox(QDialogButtonBox::Ok | QDialogButtonBox::Cancel, this);
  buttons->button(QDialogButtonBox::Ok)->setText(tr("Use it"));
  set_kind(buttons->button(QDialogButtonBox::Ok), "primary");
  bottom->addWidget(buttons);
  column->addLayout(bottom);
  connect(buttons, &QDialogButtonBox::rejected, this, &QDialog::reject);
  auto use = [this] {
    if (QListWidgetItem* item = list_->currentItem()) emit chosen(item->data(kName).toString());
    accept();
  };
  connect(buttons, &QDialogButtonBox::accepted, this, use);
  connect(list_, &QListWidget::itemDoubleClicked, this, use);
  connect(search_, &QLineEdit::textChanged, this, &FaceChooser::filter);
  addRows(shipped_typefaces());
  connect(list_, &QListWidget::currentItemChanged, this, [this](QListWidgetItem* item) {
    if (item) emit looked(item->data(kName).toString());
  });
  search_->setFocus();
  // The system's faces may take a while to find.
  session.aside([guard = QPointer<FaceChooser>(this)] {
    const auto* all = &typefaces();
    return [guard, all] {
      if (!guard) return;
      const std::vector<Typeface> rest(all->begin() + static_cast<std::ptrdiff_t>(shipped_typefaces().size()),
                                       all->end());
      guard->addRows(rest);
    };
  });
}

void FaceChooser::addRows(const std::vector<Typeface>& faces) {
  const QSignalBlocker quiet(list_);
  for (const auto& face : faces) {
    auto* item = new QListWidgetItem(list_);
    item->setData(kName, qs(face.name));
    item->setData(kSummary, worded(face.summary));
    item->setData(kShipped, face.shipped);
    item->setData(kStroke, face.single_stroke);
    item->setData(kFavourite, favourites_.contains(qs(face.name)));
    item->setData(Qt::AccessibleTextRole, qs(face.name));
    if (qs(face.name) == now_) {
      list_->setCurrentItem(item);
      list_->scrollToItem(item, QAbstractItemView::PositionAtCenter);
    }
  }
  filter();
}

void FaceChooser::filter() {
  const QStringList words = search_->text().split(QLatin1Char(' '), Qt::SkipEmptyParts);
  for (int i = 0; i < list_->count(); ++i) {
    QListWidgetItem* item = list_->item(i);
    const QString text = item->data(kName).toString() + QLatin1Char(' ') + item->data(kSummary).toString();
    bool fits = std::all_of(words.begin(), words.end(),
                            [&](const QString& w) { return text.contains(w, Qt::CaseInsensitive); });
    fits = fits && (!favourites_only_->isChecked() || item->data(kFavourite).toBool());
    fits = fits && (!strokes_only_->isChecked() || item->data(kStroke).toBool());
    item->setHidden(!fits);
  }
}

void FaceChooser::toggleFavourite() {
  QListWidgetItem* item = list_->currentItem();
  if (!item) return;
  const QString name = item->data(kName).toString();
  const bool on = !favourites_.contains(name);
  on ? static_cast<void>(favourites_.insert(name)) : static_cast<void>(favourites_.remove(name));
  item->setData(kFavourite, on);
  QStringList kept(favourites_.begin(), favourites_.end());
  kept.sort();
  QSettings().setValue(QString::fromLatin1(kFavourites), kept);
  filter();
}

bool FaceChooser::eventFilter(QObject* watched, QEvent* event) {
  if (watched == search_ && event->type() == QEvent::KeyPress) {
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key == Qt::Key_Down || key == Qt::Key_Up || key == Qt::Key_PageDown || key == Qt::Key_PageUp) {
      list_->setFocus();
      QCoreApplication::sendEvent(list_, event);
      return true;
    }
  }
  if (watched == list_->viewport() && event->type() == QEvent::MouseButtonRelease) {
    const QPoint at = static_cast<QMouseEvent*>(event)->position().toPoint();
    if (QListWidgetItem* item = list_->itemAt(at);
        item && Rows::starBox(list_->visualItemRect(item)).adjusted(-6, -8, 6, 8).contains(at)) {
      list_->setCurrentItem(item);
      toggleFavourite();
      return true;
    }
  }
  if (watched == list_ && event->type() == QEvent::KeyPress && static_cast<QKeyEvent*>(event)->key() == Qt::Key_F) {
    toggleFavourite();
    return true;
  }
  return QDialog::eventFilter(watched, event);
}

}  // namespace dotlane
