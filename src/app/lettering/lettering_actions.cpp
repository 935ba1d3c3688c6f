#include "app/lettering/lettering_actions.hpp"

#include "app/lettering/face_chooser.hpp"
#include "app/lettering/letterform_picker.hpp"
#include "app/units.hpp"
#include "core/project/kinds.hpp"
#include "core/shape/letter_fit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "words/sentences.hpp"

namespace dotlane {

LetteringActions::LetteringActions(Session& session, Typing& typing, Actions& actions, Notice& notice, QWidget* window)
    : QObject(window), session_(session), typing_(typing), actions_(actions), notice_(notice), window_(window) {
  actions_.add("lettering-new", tr("New lettering"), Qt::CTRL | Qt::ALT | Qt::Key_L, [this] {
    int id = 0;
    auto next = add_shape(session_.project(), "lettering", {}, &id);
    if (!next) return notice_.say(qs(line_of(next.error())), true);
    // Letters that overlap are meant as one piece.
    Step join;
    join.kind = "join";
    if (auto joined = add_step(*next, id, join)) next = std::move(joined);
    session_.commit(std::move(*next), tr("New lettering"));
    session_.select({{id, ""}});
    emit made(id);
    typing_.begin(id);
  });
  actions_.add("lettering-type", tr("Type in the lettering"), Qt::Key_F2, [this] {
    if (typing_.piece() != 0) typing_.begin(typing_.piece());
  });
  actions_.add("lettering-face", tr("Choose the typeface…"), Qt::CTRL | Qt::ALT | Qt::Key_F, [this] { chooseFace(); });
  actions_.add("lettering-forms", tr("Letterforms: alternates, swashes, ornaments…"), Qt::CTRL | Qt::ALT | Qt::Key_G,
               [this] { pickForms(); });
  actions_.add("lettering-close-up", tr("Close up the letters so that words hold together"),
               Qt::CTRL | Qt::SHIFT | Qt::Key_U, [this] { closeUp(); });
}

LetteringDesk LetteringActions::desk() {
  return {&typing_, [this] { chooseFace(); }, [this] { pickForms(); }};
}

void LetteringActions::update() {
  const bool any = typing_.piece() != 0;
  for (const char* id : {"lettering-type", "lettering-face", "lettering-forms", "lettering-close-up"})
    actions_.find(QString::fromLatin1(id))->setEnabled(any);
}

void LetteringActions::chooseFace() {
  if (typing_.piece() == 0) return;
  const Values values = typing_.values();
  const Reading take(*find_kind(shape_kinds(), "lettering"), values);
  const std::string before = take.text("font");
  auto* chooser = new FaceChooser(session_, qs(take.text("text")), qs(before), window_);
  chooser->setAttribute(Qt::WA_DeleteOnClose);
  const int piece = typing_.piece();
  // Looking at a face shows it on the bench; all looks together are one step to undo, and giving up takes them back.
  auto put = [this, piece](const std::string& name) {
    auto next = set_source_value(session_.project(), piece, "font", name);
    if (next && !(*next == session_.project()))
      session_.commit(std::move(*next), tr("Change the typeface"), "typeface");
  };
  session_.seal();
  connect(chooser, &FaceChooser::looked, this, [put](const QString& name) { put(name.toStdString()); });
  connect(chooser, &QDialog::accepted, this, [this] { session_.seal(); });
  connect(chooser, &QDialog::rejected, this, [this, put, before] {
    put(before);
    session_.seal();
  });
  chooser->open();
}

void LetteringActions::pickForms() {
  if (typing_.piece() == 0) return;
  auto* picker = new LetterformPicker(session_, typing_, window_);
  picker->setAttribute(Qt::WA_DeleteOnClose);
  picker->show();
}

void LetteringActions::closeUp() {
  const int id = typing_.piece();
  const Piece* piece = find_piece(session_.project(), id);
  if (!piece) return;
  const double scale = std::sqrt(std::abs(piece->placement.determinant()));
  const auto& checks = session_.project().checks;
  const FitLimits limits{checks.sliver_mm / scale, checks.tiny_mm2 / (scale * scale)};
  const bool joined =
      std::any_of(piece->steps.begin(), piece->steps.end(), [](const Step& s) { return s.on && s.kind == "join"; });
  notice_.busy(tr("Closing up…"), [] {});
  session_.aside([this, values = piece->source.values, limits, id, joined] {
    auto closed = std::make_shared<Result<Values>>(closed_up(values, limits));
    return [this, values, closed, id, joined] {
      notice_.hide();
      const Piece* now = find_piece(session_.project(), id);
      if (!now || now->source.values != values) return;  // typed on meanwhile
      if (!*closed) return notice_.say(qs(sentence(closed->error().said)), true);
      Project next = set_source_values(session_.project(), id, **closed);
      if (!joined) {
        Step join;
        join.kind = "join";
        if (auto with = add_step(next, id, join)) next = std::move(*with);
      }
      const bool same = **closed == values;
      if (!same || !joined) session_.commit(std::move(next), tr("Close up the letters"));
      notice_.say(same ? tr("Every word holds together already.")
                       : tr("Closed up: every word holds together, and no counter is lost."),
                  false);
    };
  });
}

}  // namespace dotlane
