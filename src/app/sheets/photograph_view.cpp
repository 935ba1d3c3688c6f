#include "app/sheets/photograph_view.hpp"

#include <QHBoxLayout>
#include <QMouseEvent>
#include <QPainter>
#include <QPainterPath>
#include <QPointer>

#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/arrow_keys.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/layout/shelf.hpp"

namespace dotlane {
namespace {

constexpr double kPxPerMm = 4;   // of the mat as seen from above
constexpr double kReachPx = 12;  // how near a press must be to a corner
constexpr double kLoupe = 120;   // px across
constexpr double kLoupeScale = 3;

}  // namespace

PhotographView::PhotographView(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  setObjectName(QStringLiteral("photographView"));
  setAccessibleName(tr("Photograph of the mat"));
  setAccessibleDescription(tr("Keys 1 to 4 choose a corner of the mat, arrow keys move it."));
  setFocusPolicy(Qt::StrongFocus);
  setMouseTracking(true);
  bar_ = new QFrame(this);
  set_kind(bar_, "card");
  auto* row = new QHBoxLayout(bar_);
  row->setContentsMargins(14, 8, 10, 8);
  text_ = make_label({}, "body", bar_);
  text_->setObjectName(QStringLiteral("photographText"));
  row->addWidget(text_, 1);
  const auto button = [&](const QString& text, const char* name, const char* kind, auto run) {
    auto* b = new QPushButton(text, bar_);
    b->setObjectName(QString::fromLatin1(name));
    set_kind(b, kind);
    row->addWidget(b);
    connect(b, &QPushButton::clicked, this, run);
    return b;
  };
  look_ = button(tr("Find the scraps"), "photographFind", "soft", [this] { look(); });
  keep_ = button(tr("Keep on the shelf"), "photographKeep", "pill", [this] { keep(false); });
  lay_ = button(tr("Keep and lay on a mat"), "photographLay", "primary", [this] { keep(true); });
  cancel_ = button(tr("Leave"), "photographLeave", "pill", [this] { emit ended(); });
}

void PhotographView::begin(Picture photograph, const std::string& stock) {
  image_ =
      QImage(photograph.rgb.data(), photograph.width, photograph.height, 3 * photograph.width, QImage::Format_RGB888)
          .copy();
  const double w = photograph.width, h = photograph.height;
  photograph_ = std::make_shared<const Picture>(std::move(photograph));
  stock_ = stock;
  corners_ = {Vec{0.12 * w, 0.12 * h}, {0.88 * w, 0.12 * h}, {0.88 * w, 0.88 * h}, {0.12 * w, 0.88 * h}};
  corner_ = 0;
  found_.clear();
  looked_ = looking_ = dragging_ = false;
  ++epoch_;
  update();
}

QRectF PhotographView::shown() const {
  const QRectF room = QRectF(rect()).adjusted(20, 20, -20, -84);
  const QSizeF size = QSizeF(image_.size()).scaled(room.size(), Qt::KeepAspectRatio);
  return QRectF(room.center() - QPointF(size.width() / 2, size.height() / 2), size);
}

QPointF PhotographView::at(Vec px) const {
  const QRectF r = shown();
  return {r.left() + px.x / image_.width() * r.width(), r.top() + px.y / image_.height() * r.height()};
}

Vec PhotographView::from(QPointF at) const {
  const QRectF r = shown();
  return {std::clamp((at.x() - r.left()) / r.width(), 0.0, 1.0) * image_.width(),
          std::clamp((at.y() - r.top()) / r.height(), 0.0, 1.0) * image_.height()};
}

void PhotographView::moveCorner(std::size_t corner, Vec to) {
  corners_[corner] = {std::clamp(to.x, 0.0, 1.0 * image_.width()), std::clamp(to.y, 0.0, 1.0 * image_.height())};
  found_.clear();
  looked_ = false;
  ++epoch_;  // what is being looked for is not wanted any more
  looking_ = false;
  update();
}

void PhotographView::look() {
  const Mat& mat = session_.project().machine.mat;
  looking_ = true;
  update();
  session_.aside([self = QPointer<PhotographView>(this), photograph = photograph_, corners = corners_,
                  width = mat.width_mm, height = mat.height_mm, epoch = epoch_]() -> std::function<void()> {
    auto seen = std::make_shared<Picture>(rectified(*photograph, corners, width, height, kPxPerMm));
    auto things = std::make_shared<std::vector<Region>>(things_on(*seen, kPxPerMm));
    return [self, seen, things, epoch] {
      if (!self || self->epoch_ != epoch) return;
      self->looking_ = false, self->looked_ = !seen->empty();
      self->found_ = std::move(*things);
      self->mat_ = QImage(seen->rgb.data(), seen->width, seen->height, 3 * seen->width, QImage::Format_RGB888).copy();
      if (seen->empty())
        emit self->said(tr("These four corners do not go around the mat: mark them from the top left one clockwise."),
                        true);
      self->update();
    };
  });
}

void PhotographView::keep(bool lay) {
  Project next = session_.project();
  int load = 0;
  for (const auto& sheet : next.sheets) load = std::max(load, sheet.load);
  ++load;
  for (const auto& region : found_) {
    const int item = add_to_shelf(next, scrap_of(region, stock_, tr("a photograph").toStdString()));
    if (!lay) continue;
    next = lay_from_shelf(std::move(next), item);
    Sheet& sheet = next.sheets.back();
    const Box box = bounds_of(region);
    sheet.area = Box::of(box.x0, box.y0, sheet.area.width(), sheet.area.height());
    sheet.window = {box.x0, box.y0};
    sheet.load = load;
  }
  session_.commit(std::move(next), tr("Keep scraps from a photograph"));
  if (lay) emit laid(load, mat_);
  emit ended();
}

void PhotographView::update() {
  const LengthUnit unit = session_.project().unit;
  if (looking_) {
    text_->setText(tr("Looking for scraps…"));
  } else if (!looked_) {
    text_->setText(tr("Drag the four rings onto the corners of the mat, then look for the scraps on it."));
  } else if (found_.empty()) {
    text_->setText(tr("Nothing that differs from the mat is on it. Check the corners; light from the side helps."));
  } else {
    QStringList sizes;
    for (const auto& region : found_) sizes << size_text(bounds_of(region), unit);
    text_->setText(
        tr("%1 found: %2 %3")
            .arg(counted(found_.size(), tr("scrap"), tr("scraps")), sizes.join(QStringLiteral(", ")), unit_word(unit)));
  }
  look_->setEnabled(!looking_);
  keep_->setEnabled(!found_.empty());
  lay_->setEnabled(!found_.empty());
  QWidget::update();
}

void PhotographView::paintEvent(QPaintEvent*) {
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  p.setRenderHint(QPainter::SmoothPixmapTransform);
  const Theme& t = theme();
  p.fillRect(rect(), t.ground);
  if (image_.isNull()) return;
  p.drawImage(shown(), image_);
  const Mat& mat = session_.project().machine.mat;
  const Quad flat{Vec{0, 0}, {mat.width_mm, 0}, {mat.width_mm, mat.height_mm}, {0, mat.height_mm}};
  if (const auto map = homography(flat, corners_)) {
    QColor fill = t.accent;
    fill.setAlpha(70);
    for (const auto& region : found_) {
      QPainterPath path;
      path.setFillRule(Qt::OddEvenFill);
      for (const auto& ring : region.rings) {
        QPolygonF pixels;
        for (const Vec q : ring) pixels.append(at((*map)(q)));
        path.addPolygon(pixels);
        path.closeSubpath();
      }
      p.setPen(QPen(Qt::white, 4));
      p.setBrush(Qt::NoBrush);
      p.drawPath(path);
      p.setPen(QPen(t.accent, 2));
      p.setBrush(fill);
      p.drawPath(path);
    }
  }
  QPolygonF frame;
  for (const Vec c : corners_) frame.append(at(c));
  p.setBrush(Qt::NoBrush);
  for (const QPen& pen : {QPen(Qt::white, 3), QPen(t.accent, 1.6)}) {
    p.setPen(pen);
    p.drawPolygon(frame);
  }
  p.setFont(ui_font(11, true));
  for (std::size_t i = 0; i < 4; ++i) {
    const bool own = i == corner_ && hasFocus();
    p.setPen(QPen(t.accent, own ? 3 : 1.8));
    p.setBrush(Qt::white);
    p.drawEllipse(frame[static_cast<qsizetype>(i)], 9, 9);
    p.setPen(QColor("#1F6F78"));
    p.drawText(QRectF(frame[static_cast<qsizetype>(i)] - QPointF(9, 9), QSizeF(18, 18)), Qt::AlignCenter,
               QString::number(i + 1));
  }
  if (!dragging_) return;
  // What lies under the finger, larger, beside it.
  const Vec c = corners_[corner_];
  const double half = kLoupe / kLoupeScale / 2 * image_.width() / shown().width();
  QPointF place = at(c) + QPointF(30, 30);
  if (place.x() + kLoupe > width()) place.setX(at(c).x() - 30 - kLoupe);
  if (place.y() + kLoupe > height()) place.setY(at(c).y() - 30 - kLoupe);
  const QRectF glass(place, QSizeF(kLoupe, kLoupe));
  QPainterPath round;
  round.addEllipse(glass);
  p.save();
  p.setClipPath(round);
  p.fillPath(round, t.ground);
  p.drawImage(glass, image_, QRectF(c.x - half, c.y - half, 2 * half, 2 * half));
  p.setPen(QPen(t.accent, 1));
  p.drawLine(glass.center() - QPointF(kLoupe, 0), glass.center() + QPointF(kLoupe, 0));
  p.drawLine(glass.center() - QPointF(0, kLoupe), glass.center() + QPointF(0, kLoupe));
  p.restore();
  p.setPen(QPen(t.accent, 2));
  p.setBrush(Qt::NoBrush);
  p.drawEllipse(glass);
}

void PhotographView::resizeEvent(QResizeEvent*) {
  bar_->setFixedWidth(std::min(width() - 24, 860));
  bar_->adjustSize();
  bar_->move((width() - bar_->width()) / 2, height() - bar_->height() - 12);
}

void PhotographView::mousePressEvent(QMouseEvent* event) {
  if (event->button() != Qt::LeftButton) return;
  double nearest = kReachPx;
  for (std::size_t i = 0; i < 4; ++i) {
    const double d = QLineF(at(corners_[i]), event->position()).length();
    if (d <= nearest) nearest = d, corner_ = i, dragging_ = true;
  }
  QWidget::update();
}

void PhotographView::mouseMoveEvent(QMouseEvent* event) {
  if (dragging_) return moveCorner(corner_, from(event->position()));
  const bool near = std::any_of(corners_.begin(), corners_.end(),
                                [&](Vec c) { return QLineF(at(c), event->position()).length() <= kReachPx; });
  setCursor(near ? Qt::SizeAllCursor : Qt::ArrowCursor);
}

void PhotographView::mouseReleaseEvent(QMouseEvent*) {
  dragging_ = false;
  QWidget::update();
}

void PhotographView::keyPressEvent(QKeyEvent* event) {
  const double step = event->modifiers() & Qt::ShiftModifier ? 10 : 1;
  const Vec c = corners_[corner_];
  if (const auto way = arrow(event->key())) return moveCorner(corner_, c + Vec{way->x(), way->y()} * step);
  switch (event->key()) {
    case Qt::Key_1:
    case Qt::Key_2:
    case Qt::Key_3:
    case Qt::Key_4:
      corner_ = static_cast<std::size_t>(event->key() - Qt::Key_1);
      return QWidget::update();
    case Qt::Key_Escape:
      emit ended();
      return;
    default:
      QWidget::keyPressEvent(event);
  }
}

}  // namespace dotlane
