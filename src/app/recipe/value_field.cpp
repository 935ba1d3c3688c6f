#include "app/recipe/value_field.hpp"

#include <QAbstractItemView>
#include <QCheckBox>
#include <QColorDialog>
#include <QComboBox>
#include <QLineEdit>
#include <QMenu>
#include <QPushButton>
#include <algorithm>
#include <set>

#include "app/recipe/choice_pictures.hpp"
#include "app/style.hpp"
#include "app/units.hpp"
#include "app/widgets/number_field.hpp"
#include "app/widgets/paint_widgets.hpp"
#include "core/color_space.hpp"

namespace dotlane {
namespace {

struct PlainUnit {
  const char* unit;
  int decimals;
};

PlainUnit unit_of(ValueType type) {
  switch (type) {
    case ValueType::area:
      return {"mm²", 2};
    case ValueType::degrees:
      return {"°", 1};
    case ValueType::percent:
      return {"%", 1};
    case ValueType::count:
      return {"", 0};
    default:
      return {"", 2};
  }
}

QString pieces_text(const Session& session, const Value& value) {
  const auto* ids = std::get_if<std::vector<double>>(&value);
  QStringList names;
  if (ids) {
    for (const double id : *ids) {
      const Piece* piece = find_piece(session.project(), static_cast<int>(id));
      names.append(piece ? qs(piece->name) : QObject::tr("(gone)"));
    }
  }
  if (names.isEmpty()) return QObject::tr("choose…");
  // As long as the panel has room for.
  const QString all = names.join(QStringLiteral(", "));
  return all.size() <= 16 || names.size() == 1
             ? all
             : counted(static_cast<std::size_t>(names.size()), QObject::tr("piece"), QObject::tr("pieces"));
}

void fill_lines(QComboBox* box, const Session& session, int piece, const std::string& now) {
  box->clear();
  box->addItem(QObject::tr("all that fit"), QString());
  const DrawnPiece* drawn = find_drawn(session.drawing(), piece);
  std::set<Role> roles;
  if (drawn) {
    for (const auto& line : drawn->piece->lines) roles.insert(line.role);
  }
  for (const Role role : roles) box->addItem(QObject::tr("all %1 lines").arg(role_name(role)), qs(word(role)));
  QStringList picked;
  for (const auto& ref : session.selection()) {
    if (ref.piece == piece && !ref.line.empty()) picked.append(qs(ref.line));
  }
  if (!picked.isEmpty()) box->addItem(QObject::tr("the picked lines"), picked.join(QStringLiteral(", ")));
  if (box->findData(qs(now)) < 0) box->addItem(qs(now), qs(now));
  box->setCurrentIndex(box->findData(qs(now)));
}

/// Of what lies on the shelf, else of all stocks.
std::string colors_at_hand(const Project& project) {
  std::string shelf, all;
  for (const auto& stock : project.stocks) {
    const std::string color = hex(stock.color);
    if (all.find(color) != std::string::npos) continue;
    all += (all.empty() ? "" : " ") + color;
    const bool there = std::any_of(project.shelf.begin(), project.shelf.end(),
                                   [&](const auto& item) { return item.stock == stock.id; });
    if (there) shelf += (shelf.empty() ? "" : " ") + color;
  }
  return shelf.empty() ? all : shelf;
}

}  // namespace

QWidget* make_value_field(const ValueSpec& spec, const Value& value, const ValueContext& context, Session& session,
                          QWidget* parent, std::function<void(const Value&)> edited) {
  QWidget* field = nullptr;
  switch (spec.type) {
    case ValueType::choice: {
      auto* box = new QComboBox(parent);
      bool pictured = false;
      int widest = 0;
      for (const auto& w : spec.words) {
        box->addItem(worded(w.label), qs(w.word));
        widest = std::max(widest, box->fontMetrics().horizontalAdvance(worded(w.label)));
        const auto picture = choice_picture(spec, w.word);
        if (!picture) continue;
        box->setItemIcon(box->count() - 1, *picture);
        pictured = true;
      }
      if (pictured) {
        box->setIconSize(kChoicePicture / 2);
        box->view()->setIconSize(kChoicePicture);
      }
      // The list is as wide as its words, however narrow the box.
      box->view()->setMinimumWidth(widest + (pictured ? kChoicePicture.width() : 0) + 48);
      box->setMinimumContentsLength(pictured ? 3 : 8);
      box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
      QObject::connect(box, &QComboBox::activated, box,
                       [box, edited](int row) { edited(box->itemData(row).toString().toStdString()); });
      field = box;
      break;
    }
    case ValueType::flag: {
      auto* box = new QCheckBox(parent);
      QObject::connect(box, &QCheckBox::clicked, box, [edited](bool on) { edited(on); });
      field = box;
      break;
    }
    case ValueType::lines: {
      auto* box = new QComboBox(parent);
      const auto* now = std::get_if<std::string>(&value);
      fill_lines(box, session, context.piece, now ? *now : std::string());
      box->setMinimumContentsLength(8);
      box->setSizeAdjustPolicy(QComboBox::AdjustToMinimumContentsLengthWithIcon);
      QObject::connect(box, &QComboBox::activated, box,
                       [box, edited](int row) { edited(box->itemData(row).toString().toStdString()); });
      field = box;
      break;
    }
    case ValueType::text: {
      auto* edit = new QLineEdit(parent);
      QObject::connect(edit, &QLineEdit::editingFinished, edit, [edit, edited] { edited(edit->text().toStdString()); });
      if (spec.key == "palette") {
        QAction* take = edit->addAction(swatch_icon(theme().accent), QLineEdit::TrailingPosition);
        take->setToolTip(QObject::tr("Take the colours of the stock that is at hand"));
        QObject::connect(take, &QAction::triggered, edit, [&session, edit, edited] {
          edit->setText(qs(colors_at_hand(session.project())));
          edited(edit->text().toStdString());
        });
      }
      field = edit;
      break;
    }
    case ValueType::color: {
      auto* button = new QPushButton(parent);
      set_kind(button, "chip");
      QObject::connect(button, &QPushButton::clicked, button, [button, edited, label = worded(spec.label)] {
        const QColor picked = QColorDialog::getColor(QColor(button->property("color").toString()), button->window(),
                                                     label, QColorDialog::DontUseNativeDialog);
        if (picked.isValid()) edited(hex(to_color(picked)));
      });
      field = button;
      break;
    }
    case ValueType::pieces: {
      auto* button = new QPushButton(parent);
      set_kind(button, "chip");
      auto* menu = new QMenu(button);
      button->setMenu(menu);
      QObject::connect(menu, &QMenu::aboutToShow, button, [menu, &session, context, edited, button] {
        menu->clear();
        const auto ids = button->property("pieces").toList();
        for (const auto& piece : session.project().pieces) {
          if (piece->id == context.piece) continue;
          QAction* action = menu->addAction(qs(piece->name));
          action->setCheckable(true);
          action->setChecked(ids.contains(piece->id));
          QObject::connect(action, &QAction::triggered, button, [edited, ids, id = piece->id](bool on) {
            std::vector<double> next;
            for (const auto& known : ids) {
              if (known.toInt() != id) next.push_back(known.toInt());
            }
            if (on) next.push_back(id);
            edited(next);
          });
        }
        if (menu->isEmpty()) menu->addAction(QObject::tr("There is no other piece"))->setEnabled(false);
      });
      field = button;
      break;
    }
    case ValueType::spots: {
      auto* button = new QPushButton(parent);
      set_kind(button, "chip");
      QObject::connect(button, &QPushButton::clicked, &session, [&session, key = spec.key] {
        emit session.pickingAsked(key == "at"      ? Picking::contours
                                  : key == "loop"  ? Picking::erase
                                  : key == "along" ? Picking::split
                                                   : Picking::places);
      });
      field = button;
      break;
    }
    case ValueType::letters: {
      field = make_label({}, "quiet", parent);
      break;
    }
    default: {
      const bool length = spec.type == ValueType::length;
      const auto unit = unit_of(spec.type);
      auto* number =
          new NumberField(worded(spec.label), length ? NumberField::Kind::length : NumberField::Kind::plain, parent,
                          length ? QString() : QString::fromUtf8(unit.unit), length ? -1 : unit.decimals);
      number->setRange(spec.low, spec.high);
      if (!spec.zero.empty()) number->setZero(worded(spec.zero));
      QObject::connect(number, &NumberField::edited, number, [edited, whole = spec.type == ValueType::count](double v) {
        edited(whole ? std::round(v) : v);
      });
      QObject::connect(number, &NumberField::committed, &session, &Session::seal);
      field = number;
    }
  }
  field->setObjectName(QStringLiteral("value-") + qs(spec.key));
  field->setAccessibleName(worded(spec.label));
  if (!spec.help.empty()) field->setToolTip(worded(spec.help));
  show_value(field, spec, value, context.unit);
  if (spec.type == ValueType::pieces) static_cast<QPushButton*>(field)->setText(pieces_text(session, value));
  return field;
}

void show_value(QWidget* field, const ValueSpec& spec, const Value& value, LengthUnit unit) {
  if (auto* number = qobject_cast<NumberField*>(field)) {
    if (const auto* v = std::get_if<double>(&value)) number->setValue(*v, unit);
  } else if (auto* box = qobject_cast<QComboBox*>(field)) {
    if (const auto* v = std::get_if<std::string>(&value)) box->setCurrentIndex(box->findData(qs(*v)));
  } else if (auto* check = qobject_cast<QCheckBox*>(field)) {
    if (const auto* v = std::get_if<bool>(&value)) check->setChecked(*v);
  } else if (auto* edit = qobject_cast<QLineEdit*>(field)) {
    const auto* v = std::get_if<std::string>(&value);
    if (v && !edit->hasFocus()) edit->setText(qs(*v));
  } else if (auto* spots = spec.type == ValueType::spots ? qobject_cast<QPushButton*>(field) : nullptr) {
    const auto* list = std::get_if<std::vector<double>>(&value);
    const bool contours = spec.key == "at";
    if (spec.key == "seams" && list && !list->empty()) {
      constexpr std::size_t kNumbers = 4;  // of a seam
      spots->setText(
          QObject::tr("%1, more…").arg(counted(list->size() / kNumbers, QObject::tr("seam"), QObject::tr("seams"))));
      return;
    }
    spots->setText(list && !list->empty()
                       ? QObject::tr("%1, more…")
                             .arg(counted(list->size() / 2, contours ? QObject::tr("contour") : QObject::tr("place"),
                                          contours ? QObject::tr("contours") : QObject::tr("places")))
                       : QObject::tr("pick…"));
  } else if (auto* paint = spec.type == ValueType::color ? qobject_cast<QPushButton*>(field) : nullptr) {
    const auto* text = std::get_if<std::string>(&value);
    if (const auto color = text ? parse_color(*text) : std::nullopt) {
      paint->setIcon(swatch_icon(to_qcolor(*color)));
      paint->setText(worded(color_name(*color)));
      paint->setProperty("color", qs(*text));
    }
  } else if (auto* button = spec.type == ValueType::pieces ? qobject_cast<QPushButton*>(field) : nullptr) {
    QVariantList ids;
    if (const auto* list = std::get_if<std::vector<double>>(&value)) {
      for (const double id : *list) ids.append(static_cast<int>(id));
    }
    button->setProperty("pieces", ids);
  } else if (auto* label = qobject_cast<QLabel*>(field)) {
    if (const auto* list = std::get_if<std::vector<double>>(&value))
      label->setText(counted(list->size() / kLetterColumns, QObject::tr("letter"), QObject::tr("letters")));
  }
}

}  // namespace dotlane
