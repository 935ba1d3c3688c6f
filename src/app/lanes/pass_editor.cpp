#include "app/lanes/pass_editor.hpp"

#include <QApplication>
#include <QHBoxLayout>
#include <QKeyEvent>

#include "app/style.hpp"
#include "app/units.hpp"
#include "core/project/edit.hpp"

namespace dotlane {

namespace {
constexpr int kFieldWidth = 112;
}

PassEditor::PassEditor(Session& session, const Pass& pass, QWidget* parent)
    : QFrame(parent), session_(session), sheet_(pass.sheet), role_(pass.role) {
  setObjectName(QStringLiteral("passEditor"));
  set_kind(this, "popup");
  setAutoFillBackground(true);
  setAttribute(Qt::WA_DeleteOnClose);
  auto* row = new QHBoxLayout(this);
  row->setContentsMargins(8, 3, 8, 3);
  row->setSpacing(10);
  const auto field = [&](const QString& name, const char* id, NumberField::Kind kind, const QString& unit, double low,
                         double high, auto apply) {
    auto* f = new NumberField(name, kind, this, unit, 0);
    f->setObjectName(QString::fromLatin1(id));
    f->setToolTip(name);
    f->setRange(low, high);
    f->setFixedWidth(kFieldWidth);
    row->addWidget(f);
    f->editor()->installEventFilter(this);
    connect(f, &NumberField::edited, this, [this, name, apply](double v) {
      const Sheet* sheet = find_sheet(session_.project(), sheet_);
      const Stock* stock = sheet ? find_stock(session_.project(), sheet->stock) : nullptr;
      if (!stock) return;
      Setting setting = setting_for(*stock, role_);
      apply(setting, v);
      session_.commit(set_setting(session_.project(), sheet_, role_, setting), tr("Change the pass: %1").arg(name),
                      "pass-" + name.toStdString());
    });
    connect(f, &NumberField::committed, &session_, &Session::seal);
    return f;
  };
  force_ = field(tr("force"), "laneForce", NumberField::Kind::plain, tr("gf"), 1, 5000,
                 [](Setting& s, double v) { s.force_gf = v; });
  speed_ = field(tr("speed"), "laneSpeed", NumberField::Kind::length, tr("/s"), 0.5, 1000,
                 [](Setting& s, double v) { s.speed_mm_s = v; });
  repeats_ = field(tr("repeats"), "laneRepeats", NumberField::Kind::plain, tr("times"), 1, 99,
                   [](Setting& s, double v) { s.repeats = static_cast<int>(v); });
  fill();
  connect(&session_, &Session::shown, this, &PassEditor::fill);
  connect(&session_, &Session::opened, this, &QWidget::close);
  connect(qApp, &QApplication::focusChanged, this, [this](QWidget*, QWidget* now) {
    if (now && now != this && !isAncestorOf(now)) close();
  });
}

void PassEditor::fill() {
  const Sheet* sheet = find_sheet(session_.project(), sheet_);
  const Stock* stock = sheet ? find_stock(session_.project(), sheet->stock) : nullptr;
  if (!stock) return;
  const Setting setting = setting_for(*stock, role_);
  force_->setValue(setting.force_gf);
  speed_->setValue(setting.speed_mm_s, session_.project().unit);
  repeats_->setValue(setting.repeats);
}

void PassEditor::begin() {
  force_->editor()->setFocus();
  force_->editor()->selectAll();
}

bool PassEditor::eventFilter(QObject* watched, QEvent* event) {
  if (event->type() == QEvent::KeyPress) {
    const int key = static_cast<QKeyEvent*>(event)->key();
    if (key == Qt::Key_Escape || key == Qt::Key_Return || key == Qt::Key_Enter) {
      // What was typed is there already; the field has its say first.
      QMetaObject::invokeMethod(
          this, [this] { close(); }, Qt::QueuedConnection);
    }
  }
  return QFrame::eventFilter(watched, event);
}

}  // namespace dotlane
