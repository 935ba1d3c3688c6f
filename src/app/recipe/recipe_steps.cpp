#include "app/recipe/recipe_steps.hpp"

#include <QFormLayout>
#include <QLabel>
#include <QLocale>
#include <QPainter>
#include <QToolButton>
#include <algorithm>

#include "app/help/help_desk.hpp"
#include "app/recipe/value_field.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/project/edit.hpp"
#include "core/shape/bridges.hpp"
#include "core/shape/copies.hpp"
#include "core/shape/fill/fill_made.hpp"
#include "core/shape/pieced.hpp"
#include "core/shape/recipe_edit.hpp"
#include "core/shape/seams.hpp"
#include "core/shape/step_handles.hpp"
#include "core/shape/trace.hpp"
#include "render/role_style.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr int kIndent = 24;

QString figure_of(const StepOutcome& outcome, LengthUnit unit) {
  return outcome.bounds.empty() ? QObject::tr("nothing")
                                : size_text(outcome.bounds, unit) + QChar(' ') + unit_word(unit);
}

QString fill_text(const FillMade& made) {
  std::size_t strokes = 0;
  for (const auto& coat : made.coats) strokes += coat.size();
  QString out = counted(strokes, QObject::tr("stroke"), QObject::tr("strokes"));
  if (made.coats.size() > 1) out += QStringLiteral("  ·  ") + QObject::tr("two passes");
  return out;
}

QString stones_text(const StepOutcome& outcome) {
  return counted(outcome.stones, QObject::tr("stone"), QObject::tr("stones"));
}

QString bridges_text(const Bridged& made, LengthUnit unit) {
  QString out = counted(made.islands, QObject::tr("island"), QObject::tr("islands")) + QStringLiteral("  ·  ") +
                counted(made.bridges.size(), QObject::tr("bridge"), QObject::tr("bridges")) + QStringLiteral("  ·  ") +
                QObject::tr("%1 out").arg(counted(made.bits, QObject::tr("bit falls"), QObject::tr("bits fall")));
  if (made.bridges.empty()) return out;
  const auto weakest = std::min_element(made.bridges.begin(), made.bridges.end(), [](const Bridge& a, const Bridge& b) {
    return a.width_mm / a.length_mm < b.width_mm / b.length_mm;
  });
  return out + QStringLiteral("  ·  ") +
         QObject::tr("weakest %1 wide, %2 long")
             .arg(length_text(weakest->width_mm, unit), length_text(weakest->length_mm, unit));
}

QString copies_text(const Repeated& made, LengthUnit unit) {
  const QString dot = QStringLiteral("  ·  ");
  QString out = counted(made.count, QObject::tr("copy"), QObject::tr("copies"));
  if (made.rows > 1 && made.columns > 1)
    out += QStringLiteral(", ") + QObject::tr("%1 across, %2 down").arg(made.columns).arg(made.rows);
  if (made.pitch_mm > 0) {
    const bool two = made.pitch_down_mm > 0 && std::abs(made.pitch_down_mm - made.pitch_mm) > 0.005;
    out += dot + QObject::tr("every %1").arg(length_text(made.pitch_mm, unit));
    if (two) out += QObject::tr(", rows every %1").arg(length_text(made.pitch_down_mm, unit));
  }
  if (made.radius_mm > 0) out += dot + QObject::tr("radius %1").arg(length_text(made.radius_mm, unit));
  if (made.between_mm)
    out += dot + (*made.between_mm > 0 ? QObject::tr("%1 between").arg(length_text(*made.between_mm, unit))
                                       : QObject::tr("they touch"));
  if (made.left_over.x > 0.005 || made.left_over.y > 0.005) {
    const Box left = Box::of(0, 0, made.left_over.x, made.left_over.y);
    const QString size =
        made.rows > 1 ? size_text(left, unit) + QChar(0xA0) + unit_word(unit) : length_text(made.left_over.x, unit);
    out += dot + QObject::tr("%1 left over").arg(size);
  }
  return out;
}

QString seams_text(const Seamed& made, LengthUnit unit) {
  double length = 0, visible = 0;
  for (const auto& run : made.runs) length += run.seam.length(), visible += run.visible_mm;
  return counted(made.tiles, QObject::tr("tile"), QObject::tr("tiles")) + QStringLiteral("  ·  ") +
         counted(made.runs.size(), QObject::tr("seam"), QObject::tr("seams")) + QStringLiteral("  ·  ") +
         QObject::tr("%1, %2 in sight").arg(length_text(length, unit), length_text(visible, unit));
}

/// What is cut by hand for a pieced unit.
QString patches_text(const Values& values, LengthUnit unit) {
  QStringList out;
  for (const auto& cut : patch_cuts(values)) {
    const QString side = length_text(cut.side_mm, unit);
    const QString square = cut.into == 1   ? QObject::tr("a square of %1").arg(side)
                           : cut.into == 2 ? QObject::tr("squares of %1, halved").arg(side)
                                           : QObject::tr("squares of %1, quartered").arg(side);
    out << QObject::tr("%1 from %2").arg(cut.patches).arg(square);
  }
  return out.join(QStringLiteral("  ·  "));
}

QString detail_of(const StepOutcome& outcome, LengthUnit unit) {
  if (outcome.repeated) return copies_text(*outcome.repeated, unit);
  if (outcome.bridged) return bridges_text(*outcome.bridged, unit);
  if (outcome.seamed) return seams_text(*outcome.seamed, unit);
  if (outcome.stones > 0) return stones_text(outcome);
  if (outcome.fill) return fill_text(*outcome.fill);
  QString out = counted(outcome.contours, QObject::tr("contour"), QObject::tr("contours")) + QStringLiteral("  ·  ") +
                counted(outcome.nodes, QObject::tr("node"), QObject::tr("nodes"));
  if (outcome.removed_mm2 > 0.5)
    out += QStringLiteral("  ·  ") +
           QObject::tr("%1 cm² saved").arg(QLocale().toString(outcome.removed_mm2 / 100, 'f', 1));
  if (outcome.dropped > 0) out += QStringLiteral("  ·  ") + QObject::tr("%1 left out").arg(outcome.dropped);
  return out;
}

}  // namespace

RecipeSteps::RecipeSteps(Session& session, QWidget* parent) : QWidget(parent), session_(session) {
  setObjectName(QStringLiteral("recipeSteps"));
  column_ = new QVBoxLayout(this);
  column_->setContentsMargins(0, 0, 0, 0);
  column_->setSpacing(2);
}

void RecipeSteps::show(int id) {
  const Piece* piece = find_piece(session_.project(), id);
  const DrawnPiece* drawn = find_drawn(session_.drawing(), id);
  setVisible(piece && drawn);
  if (!piece || !drawn) return;
  std::string key = std::to_string(id) + piece->source.kind + piece->source.file;
  for (const auto& step : piece->steps) key += "/" + std::to_string(step.id) + step.kind + (step.on ? "+" : "-");
  key += session_.project().unit == LengthUnit::inch ? "in" : "mm";
  if (key != shown_) {
    if (id != piece_) open_ = -1;
    piece_ = id;
    shown_ = key;
    rebuild(*piece);
  }
  refresh(*piece, *drawn);
}

void RecipeSteps::open(int step) {
  open_ = step;
  showOpen();
}

void RecipeSteps::showOpen() {
  for (auto& stop : stops_) {
    stop.values->setVisible(stop.step == open_ && !stop.fields.empty());
    stop.head->setChecked(stop.step == open_);
  }
  updateGeometry();
  update();
}

void RecipeSteps::rebuild(const Piece& piece) {
  for (auto& stop : stops_) {
    stop.row->hide();
    stop.row->deleteLater();
  }
  stops_.clear();
  stops_.reserve(piece.steps.size() + 1);
  addStop(piece, nullptr);
  for (const auto& step : piece.steps) addStop(piece, &step);
  showOpen();
}

void RecipeSteps::addStop(const Piece& piece, const Step* step) {
  Stop stop;
  stop.step = step ? step->id : 0;
  stop.on = !step || step->on;
  stop.kind = step ? find_kind(step_kinds(), step->kind) : find_kind(shape_kinds(), piece.source.kind);
  stop.row = new QWidget(this);
  auto* column = new QVBoxLayout(stop.row);
  column->setContentsMargins(kIndent, 0, 0, 0);
  column->setSpacing(0);
  auto* top = new QHBoxLayout;
  top->setSpacing(2);
  QString name = stop.kind                   ? worded(stop.kind->label)
                 : step                      ? qs(step->kind)
                 : piece.source.file.empty() ? tr("Plain lines")
                                             : tr("Brought in");
  if (step && !step->on) name += tr(" (off)");
  stop.head = new QPushButton(name, stop.row);
  stop.head->setObjectName(step ? QStringLiteral("step-%1").arg(step->id) : QStringLiteral("step-source"));
  stop.head->setCheckable(true);
  set_kind(stop.head, "row");
  if (stop.kind) stop.head->setToolTip(worded(stop.kind->summary));
  connect(stop.head, &QPushButton::clicked, this, [this, id = stop.step] { open(open_ == id ? -1 : id); });
  top->addWidget(stop.head, 1);
  stop.figure = make_label({}, "name", stop.row);
  stop.figure->setWordWrap(false);
  top->addWidget(stop.figure);
  column->addLayout(top);
  stop.detail = make_label({}, "quiet", stop.row);
  stop.detail->setContentsMargins(9, 0, 0, 2);
  column->addWidget(stop.detail);
  stop.trouble = make_label({}, "serious", stop.row);
  stop.trouble->setContentsMargins(9, 0, 0, 2);
  column->addWidget(stop.trouble);
  stop.values = new QWidget(stop.row);
  auto* body = new QVBoxLayout(stop.values);
  body->setContentsMargins(9, 2, 0, 8);
  body->setSpacing(4);
  column->addWidget(stop.values);
  if (step && step->kind == "fill") {
    stop.fill = new FillPanel(session_, piece.id, step->id, stop.values);
    body->addWidget(stop.fill);
    connect(stop.fill, &FillPanel::edited, this,
            [this, id = step->id](const std::string& key, const Value& v) { change(id, key, v); });
    connect(stop.fill, &FillPanel::committed, &session_, &Session::seal);
    connect(stop.fill, &FillPanel::refused, this, &RecipeSteps::refused);
  }
  if (!step && piece.source.kind == "picture" && !piece.source.picture->empty()) {
    stop.crop = new CropFrame(*piece.source.picture, stop.values);
    body->addWidget(stop.crop, 0, Qt::AlignLeft);
    connect(stop.crop, &CropFrame::changed, this, &RecipeSteps::crop);
    connect(stop.crop, &CropFrame::picked, this, &RecipeSteps::pickColor);
    connect(stop.crop, &CropFrame::committed, &session_, &Session::seal);
  }
  addFields(stop, piece, step ? step->values : piece.source.values);
  if (step) {
    auto* tools = new QHBoxLayout;
    tools->setSpacing(4);
    const int id = step->id;
    auto add = [&](const QString& text, const QString& hint, const char* object, auto run) {
      auto* button = new QPushButton(text, stop.values);
      set_kind(button, "chip");
      button->setToolTip(hint);
      button->setObjectName(QString::fromLatin1(object) + QStringLiteral("-%1").arg(id));
      connect(button, &QPushButton::clicked, this, run);
      tools->addWidget(button);
    };
    const bool on = step->on;
    add(on ? tr("Off") : tr("On"), on ? tr("Pass this step over for now") : tr("Take this step again"), "switch-step",
        [this, id, on] {
          session_.commit(switch_step(session_.project(), piece_, id, !on),
                          on ? tr("Switch a step off") : tr("Switch a step on"));
        });
    add(tr("Up"), tr("Take this step earlier"), "raise-step",
        [this, id] { session_.commit(shift_step(session_.project(), piece_, id, -1), tr("Move a step")); });
    add(tr("Down"), tr("Take this step later"), "lower-step",
        [this, id] { session_.commit(shift_step(session_.project(), piece_, id, 1), tr("Move a step")); });
    add(tr("Remove"), tr("Take this step out of the recipe"), "remove-step",
        [this, id] { session_.commit(remove_step(session_.project(), piece_, id), tr("Remove a step")); });
    tools->addStretch();
    body->addLayout(tools);
  }
  column_->addWidget(stop.row);
  stop.row->show();
  stops_.push_back(std::move(stop));
}

void RecipeSteps::addFields(Stop& stop, const Piece& piece, const Values& values) {
  if (!stop.kind) return;
  auto* form = new QFormLayout;
  form->setContentsMargins(0, 0, 0, 0);
  form->setHorizontalSpacing(8);
  form->setVerticalSpacing(1);
  form->setFieldGrowthPolicy(QFormLayout::AllNonFixedFieldsGrow);
  for (const auto& spec : stop.kind->values) {
    set_help(stop.values, stop.kind->kind == "lettering" ? "lettering"
                          : stop.kind->kind == "fill"    ? "fills"
                                                         : "recipe");
    const auto given = values.find(spec.key);
    const bool lettering = stop.kind->kind == "lettering" && desk_.typing;
    QWidget* own = lettering ? make_lettering_field(spec, desk_, session_, stop.values) : nullptr;
    auto* field =
        own ? own
            : make_value_field(spec, given == values.end() ? spec.standard : given->second,
                               {session_.project().unit, piece.id}, session_, stop.values,
                               [this, id = stop.step, key = spec.key](const Value& v) { change(id, key, v); });
    auto* label = make_label(worded(spec.label), "quiet", stop.values);
    label->setFixedWidth(96);
    label->setWordWrap(true);
    if (!spec.help.empty()) label->setToolTip(worded(spec.help)), field->setToolTip(worded(spec.help));
    const bool block = own && (spec.type == ValueType::letters || spec.key == "axes");
    if (block) {  // fields of its own, with labels of their own
      label->hide();
      form->addRow(field);
    } else {
      form->addRow(label, field);
    }
    if (stop.crop && spec.key.starts_with("crop-")) field->setProperty("idle", true);  // the frame shows it
    stop.fields.push_back({&spec, field});
  }
  stop.form = form;
  static_cast<QVBoxLayout*>(stop.values->layout())->addLayout(form);
}

void RecipeSteps::crop(const CropValues& crop) {
  const Piece* piece = find_piece(session_.project(), piece_);
  const KindSpec* kind = find_kind(shape_kinds(), "picture");
  if (!piece || !kind) return;
  Values values = piece->source.values;
  const Reading was(*kind, values);
  const double kept = 100 - was.number("crop-left") - was.number("crop-right");
  const double width = was.number("width");
  if (kept > 0) values["width"] = width * (100 - crop.left - crop.right) / kept;
  values["crop-left"] = crop.left, values["crop-top"] = crop.top;
  values["crop-right"] = crop.right, values["crop-bottom"] = crop.bottom;
  session_.commit(set_source_values(session_.project(), piece_, values), tr("Crop the picture"),
                  "crop-" + std::to_string(piece_));
}

void RecipeSteps::pickColor(const QColor& color) {
  const Piece* piece = find_piece(session_.project(), piece_);
  const KindSpec* kind = find_kind(shape_kinds(), "picture");
  if (!piece || !kind) return;
  Values values = piece->source.values;
  const Reading was(*kind, values);
  if (was.is("colors", "two")) return;
  // In colours of its own choice, the first that is picked is where choosing by hand begins.
  const std::string palette = was.is("colors", "given") ? was.text("palette") : std::string();
  values["colors"] = std::string("given");
  values["palette"] = with_or_without(palette, to_color(color));
  session_.commit(set_source_values(session_.project(), piece_, values), tr("Pick a colour"));
}

void RecipeSteps::change(int step, const std::string& key, const Value& value) {
  auto next = step == 0 ? set_source_value(session_.project(), piece_, key, value)
                        : set_step_value(session_.project(), piece_, step, key, value);
  if (!next) {
    emit refused(qs(sentence(next.error().said)));
    if (const Piece* piece = find_piece(session_.project(), piece_)) rebuild(*piece), show(piece_);
    return;
  }
  if (key == "by") *next = room_on_sheet(std::move(*next), session_.drawing(), piece_);
  session_.commit(std::move(*next), step == 0 ? tr("Change a shape") : tr("Change a step"),
                  "value-" + std::to_string(piece_) + "-" + std::to_string(step) + "-" + key);
  // Choices of pieces change what the row says.
  if (std::holds_alternative<std::vector<double>>(value)) {
    if (const Piece* piece = find_piece(session_.project(), piece_)) rebuild(*piece), show(piece_);
  }
}

void RecipeSteps::refresh(const Piece& piece, const DrawnPiece& drawn) {
  const LengthUnit unit = session_.project().unit;
  for (auto& stop : stops_) {
    const Values* values = stop.step == 0 ? &piece.source.values : nullptr;
    for (const auto& step : piece.steps) {
      if (step.id == stop.step) values = &step.values;
    }
    if (values && stop.form) {
      const Reading take(*stop.kind, *values);
      for (const auto& [spec, field] : stop.fields) {
        const auto given = values->find(spec->key);
        show_value(field, *spec, given == values->end() ? spec->standard : given->second, unit);
        const bool idle = !applies(*spec, take) || field->property("idle").toBool();
        if (stop.form->isRowVisible(field) == idle) stop.form->setRowVisible(field, !idle);
      }
    }
    if (stop.fill) stop.fill->follow();
    if (stop.crop) {
      const Reading take(*stop.kind, piece.source.values);
      stop.crop->setCrop(
          {take.number("crop-left"), take.number("crop-top"), take.number("crop-right"), take.number("crop-bottom")});
      std::vector<QColor> colors;
      if (take.is("colors", "given")) {
        for (const Color c : palette_of(take.text("palette"))) colors.push_back(to_qcolor(c));
      }
      stop.crop->setColors(std::move(colors));
    }
    QString figure, detail, trouble;
    const auto found = std::find_if(drawn.outcomes.begin(), drawn.outcomes.end(),
                                    [&](const StepOutcome& o) { return o.step == stop.step; });
    if (drawn.stale) {
      detail = tr("being worked out…");
    } else if (found != drawn.outcomes.end()) {
      figure = figure_of(*found, unit);
      detail = detail_of(*found, unit);
      trouble = qs(sentence(found->trouble, unit));
    } else if (stop.step == 0) {
      // A plain piece has no outcomes: its lines are the source's.
      StepOutcome own;
      own.bounds = drawn.bounds;
      for (const auto& line : piece.lines)
        own.nodes += segment_count(*line.path), own.contours += line.path->contours.size();
      figure = figure_of(own, unit);
      detail = detail_of(own, unit);
    } else {
      detail = tr("passed over");
    }
    if (stop.step == 0 && piece.source.kind == "pieced") detail = patches_text(piece.source.values, unit);
    if (stop.step == 0 && piece.source.kind == "pieces") {
      figure.clear();
      detail = tr("the first step says which");
    } else if (stop.step == 0) {
      if (!piece.source.file.empty()) {
        constexpr double kScreens = 40;  // per inch and more: pixels, not a unit of measure
        const double per_inch = piece.source.per_inch;
        const QString size = !piece.source.kind.empty() || piece.source.unit_source != UnitSource::assumed ? QString()
                             : per_inch < kScreens
                                 ? tr("units taken as %1").arg(QString::fromUtf8(unit_of(per_inch).data()))
                                 : tr("size assumed at %1 per inch").arg(QLocale().toString(per_inch, 'g', 4));
        detail = qs(piece.source.file) + (size.isEmpty() ? QString() : QStringLiteral("  ·  ") + size) +
                 QStringLiteral("\n") + detail;
      }
      if (piece.source.kind == "picture") {
        const double bit = smallest_bit(drawn.piece->lines);
        if (bit > 0) detail += QStringLiteral("\n") + tr("smallest bit %1").arg(length_text(bit, unit));
      }
    }
    stop.figure->setText(figure);
    stop.detail->setText(detail);
    stop.trouble->setText(trouble);
    stop.trouble->setVisible(!trouble.isEmpty());
  }
  update();
}

void RecipeSteps::paintEvent(QPaintEvent*) {
  if (stops_.empty()) return;
  QPainter p(this);
  p.setRenderHint(QPainter::Antialiasing);
  const Theme& t = theme();
  auto dot = [&](const Stop& stop) { return QPointF(10, stop.row->y() + stop.head->y() + stop.head->height() / 2.0); };
  QColor line = t.accent;
  line.setAlpha(70);
  p.setPen(QPen(line, 2));
  p.drawLine(dot(stops_.front()), dot(stops_.back()));
  for (const auto& stop : stops_) {
    p.setPen(QPen(t.accent, 2));
    p.setBrush(stop.on ? t.accent : t.panel);
    p.drawEllipse(dot(stop), stop.step == 0 ? 6.5 : 5.5, stop.step == 0 ? 6.5 : 5.5);
  }
}

}  // namespace dotlane
