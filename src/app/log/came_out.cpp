#include "app/log/came_out.hpp"

#include <QButtonGroup>
#include <QGridLayout>
#include <QHBoxLayout>
#include <QLineEdit>
#include <QPixmap>
#include <QPushButton>
#include <QVBoxLayout>
#include <algorithm>

#include "app/dialogs.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"

namespace dotlane {
namespace {

QIcon came_out_icon(CameOut out) {
  constexpr int kSide = 16, kSharp = 2;
  QPixmap picture(kSide * kSharp, kSide * kSharp);
  picture.setDevicePixelRatio(kSharp);
  picture.fill(Qt::transparent);
  QPainter p(&picture);
  p.setRenderHint(QPainter::Antialiasing);
  paint_came_out(p, {kSide / 2.0, kSide / 2.0}, out, 5);
  return picture;
}

constexpr std::array kSaid{CameOut::good, CameOut::weak, CameOut::strong, CameOut::torn, CameOut::skipped};

}  // namespace

QString came_out_text(CameOut out) {
  switch (out) {
    case CameOut::good:
      return QObject::tr("good");
    case CameOut::weak:
      return QObject::tr("too weak");
    case CameOut::strong:
      return QObject::tr("too strong");
    case CameOut::torn:
      return QObject::tr("torn");
    case CameOut::skipped:
      return QObject::tr("skipped");
    default:
      return QObject::tr("nobody said");
  }
}

void paint_came_out(QPainter& p, QPointF at, CameOut out, double r) {
  const Theme& t = theme();
  p.save();
  p.setBrush(Qt::NoBrush);
  switch (out) {
    case CameOut::good:
      p.setPen(QPen(t.field, 1));
      p.setBrush(t.accent);
      p.drawEllipse(at, r, r);
      break;
    case CameOut::weak:
      p.setPen(QPen(t.hands, r * 0.45));
      p.setBrush(t.field);
      p.drawEllipse(at, r * 0.85, r * 0.85);
      break;
    case CameOut::strong:
      p.setPen(QPen(t.field, 1));
      p.setBrush(t.serious);
      p.drawRect(QRectF(at.x() - r * 0.85, at.y() - r * 0.85, 1.7 * r, 1.7 * r));
      break;
    case CameOut::torn:
      p.setPen(QPen(t.serious, r * 0.45, Qt::SolidLine, Qt::RoundCap));
      p.drawLine(at + QPointF(-r, -r) * 0.8, at + QPointF(r, r) * 0.8);
      p.drawLine(at + QPointF(-r, r) * 0.8, at + QPointF(r, -r) * 0.8);
      break;
    case CameOut::skipped:
      p.setPen(QPen(t.quiet, r * 0.45, Qt::SolidLine, Qt::RoundCap));
      p.drawLine(at - QPointF(r * 0.8, 0), at + QPointF(r * 0.8, 0));
      break;
    default:
      p.setPen(Qt::NoPen);
      p.setBrush(t.hairline);
      p.drawEllipse(at, r * 0.5, r * 0.5);
  }
  p.restore();
}

CameOutCard::CameOutCard(LogDesk& desk, const LoggedRun& run, QWidget* parent) : QWidget(parent) {
  setObjectName(QStringLiteral("cameOutCard"));
  auto* column = new QVBoxLayout(this);
  column->setContentsMargins(0, 0, 0, 0);
  column->setSpacing(4);
  // All at once is one stroke; single passes follow where they came out otherwise.
  const auto row = [&](const QString& name, int pass, CameOut now) {
    auto* line = new QHBoxLayout;
    line->setSpacing(3);
    auto* label = make_label(name, pass == 0 ? "name" : "body", this);
    label->setWordWrap(false);
    label->setMinimumWidth(0);
    label->setSizePolicy(QSizePolicy::Ignored, QSizePolicy::Preferred);
    label->setToolTip(name);
    line->addWidget(label, 1);
    line->addSpacing(5);
    auto* group = new QButtonGroup(this);
    for (const CameOut out : kSaid) {
      auto* button = new QPushButton(came_out_icon(out), {}, this);
      button->setObjectName(QStringLiteral("came-%1-%2").arg(pass).arg(qs(word(out))));
      button->setAccessibleName(tr("%1: %2").arg(name, came_out_text(out)));
      button->setToolTip(came_out_text(out));
      button->setCheckable(true);
      button->setChecked(out == now);
      button->setFixedSize(28, 24);
      set_kind(button, "chip");
      group->addButton(button);
      line->addWidget(button);
      connect(button, &QPushButton::clicked, this, [this, &desk, id = run.id, pass, out] {
        showSaid(pass, out);
        desk.say(id, pass, out);
      });
      rows_.push_back({pass, out, button, group});
    }
    column->addLayout(line);
  };
  const bool same = std::all_of(run.passes.begin(), run.passes.end(),
                                [&](const LoggedPass& p) { return p.came_out == run.passes.front().came_out; });
  if (run.passes.size() > 1)
    row(tr("all of it"), 0, same && !run.passes.empty() ? run.passes.front().came_out : CameOut::unsaid);
  for (const auto& p : run.passes)
    row(tr("%1 %2, %3").arg(p.index).arg(role_name(p.role), qs(p.tool_name)), p.index, p.came_out);
  auto* weeding = new QHBoxLayout;
  weeding->setSpacing(4);
  weeding->addWidget(make_label(tr("weeding"), "body", this), 1);
  for (const auto& [kind, text] : {std::pair{Weeding::easy, tr("easy")}, std::pair{Weeding::hard, tr("hard")}}) {
    auto* button = new QPushButton(text, this);
    button->setObjectName(QStringLiteral("weeding-") + qs(word(kind)));
    button->setCheckable(true);
    button->setChecked(run.weeding == kind);
    set_kind(button, "chip");
    weeding->addWidget(button);
    connect(button, &QPushButton::clicked, this, [&desk, id = run.id, k = kind] { desk.say(id, k); });
  }
  auto* photo = new QPushButton(tr("Photo…"), this);
  photo->setObjectName(QStringLiteral("addPhoto"));
  photo->setToolTip(tr("Keeps shrunk copies of photographs with the run"));
  set_kind(photo, "chip");
  weeding->addWidget(photo);
  connect(photo, &QPushButton::clicked, this, [this, &desk, id = run.id] {
    const QStringList files =
        dialogs().openFiles(this, tr("Photographs of what came out"), tr("Pictures (*.png *.jpg *.jpeg *.bmp)"));
    if (!files.isEmpty()) desk.addPhotos(id, files);
  });
  column->addLayout(weeding);
  auto* note = new QLineEdit(qs(run.note), this);
  note->setObjectName(QStringLiteral("runNote"));
  note->setAccessibleName(tr("A note on the run"));
  note->setPlaceholderText(tr("a note"));
  column->addWidget(note);
  connect(note, &QLineEdit::editingFinished, this, [&desk, id = run.id, note, kept = qs(run.note)]() mutable {
    if (note->text() == kept) return;
    kept = note->text();
    desk.note(id, kept);
  });
}

void CameOutCard::showSaid(int pass, CameOut out) {
  for (const auto& row : rows_) {
    if (pass == 0 && row.pass > 0 && row.out == out) row.button->setChecked(true);
    if (pass > 0 && row.pass == 0) {  // not all of it any more
      row.group->setExclusive(false);
      row.button->setChecked(false);
      row.group->setExclusive(true);
    }
  }
}

}  // namespace dotlane
