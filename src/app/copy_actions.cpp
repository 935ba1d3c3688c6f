#include "app/copy_actions.hpp"

#include <QClipboard>
#include <QGuiApplication>
#include <QImage>
#include <QMimeData>
#include <QPointer>
#include <QUuid>
#include <set>

#include "app/units.hpp"
#include "core/format/project_json.hpp"
#include "core/format/svg_reader.hpp"
#include "core/format/svg_writer.hpp"
#include "core/project/edit.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/picture_file.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr double kBeside = 10;  // mm to the right and down from what is there
constexpr auto kPieces = "application/x-dot-lane-pieces", kFrozen = "application/x-dot-lane-frozen-pieces",
               kFrom = "application/x-dot-lane-from", kDrawing = "image/svg+xml";

}  // namespace

CopyActions::CopyActions(Session& session, Actions& actions, Notice& notice, std::function<void()> remove,
                         QObject* parent)
    : QObject(parent),
      session_(session),
      actions_(actions),
      notice_(notice),
      remove_(std::move(remove)),
      from_(QUuid::createUuid().toByteArray()) {
  actions_.add("duplicate", tr("Duplicate the piece"), Qt::CTRL | Qt::Key_D, [this] {
    duplicate({kBeside, kBeside}, tr("Duplicate"));
  });
  actions_.add("duplicate-in-place", tr("Duplicate the piece in place"), Qt::CTRL | Qt::ALT | Qt::Key_D, [this] {
    duplicate({0, 0}, tr("Duplicate in place"));
  });
  actions_.add("copy-again", tr("Copy once more, as far, turned and sized as the last copy"),
               Qt::CTRL | Qt::ALT | Qt::Key_A, [this] { again(); });
  actions_.add("copy", tr("Copy what is selected"), QKeySequence::Copy, [this] { copy(false); });
  actions_.add("cut", tr("Cut what is selected out, to paste it"), QKeySequence::Cut, [this] { copy(true); });
  actions_.add("paste", tr("Paste"), QKeySequence::Paste, [this] { paste(false); });
  // Ids mean other pieces there.
  connect(&session_, &Session::opened, this, [this] {
    from_ = QUuid::createUuid().toByteArray();
    last_.clear();
  });
  actions_.add("paste-in-place", tr("Paste where it was"), Qt::CTRL | Qt::SHIFT | Qt::Key_V, [this] { paste(true); });
}

void CopyActions::update() {
  const bool any = !session_.selection().empty();
  for (const char* id : {"duplicate", "duplicate-in-place", "copy", "cut"})
    actions_.find(QString::fromLatin1(id))->setEnabled(any);
}

void CopyActions::duplicate(Vec by, const QString& label) {
  Project next = session_.project();
  std::vector<LineRef> copies;
  last_.clear();
  for (const int piece : session_.selectedPieces()) {
    int id = 0;
    next = duplicate_piece(std::move(next), piece, &id, by);
    copies.push_back({id, ""});
    last_.push_back({piece, id});
  }
  session_.commit(std::move(next), label);
  session_.select(std::move(copies));
}

void CopyActions::copy(bool cut) {
  const auto selected = session_.selection();
  if (selected.empty()) return;
  session_.whenDerived([this, selected, cut] {
    // Drawings of a million strokes take their time to be written.
    session_.aside([self = QPointer(this), this, selected, cut, from = from_,
                    derived = session_.derivedHandle()]() -> std::function<void()> {
      const Project project = with_lines_alone(derived->project, derived->drawing, selected);
      DrawingCache cache;
      const Drawing drawing = project == derived->project ? derived->drawing : evaluate(project, cache);
      std::set<int> unique;
      for (const auto& ref : selected) unique.insert(ref.piece);
      const std::vector<int> ids(unique.begin(), unique.end());
      auto pieces = std::make_shared<std::string>(to_json(clip_of(project, ids)));
      auto frozen = std::make_shared<std::string>(to_json(clip_for_others(project, drawing, ids)));
      Drawing shown;
      Box around;
      for (const auto& piece : drawing.pieces) {
        if (!unique.contains(piece->piece->id)) continue;
        shown.pieces.push_back(piece);
        around.add(piece->bounds);
      }
      auto svg = std::make_shared<std::string>(write_drawing_svg(shown, around, project.name));
      return [self, this, selected, cut, from, derived, pieces, frozen, svg] {
        if (!self) return;
        auto* mime = new QMimeData;
        mime->setData(QString::fromLatin1(kPieces), QByteArray::fromStdString(*pieces));
        mime->setData(QString::fromLatin1(kFrozen), QByteArray::fromStdString(*frozen));
        mime->setData(QString::fromLatin1(kFrom), from);
        mime->setData(QString::fromLatin1(kDrawing), QByteArray::fromStdString(*svg));
        QGuiApplication::clipboard()->setMimeData(mime);
        pastes_ = 0;
        if (!cut) return;
        if (!(derived->project == session_.project()))
          return notice_.say(tr("The project was changed meanwhile; it is copied, and nothing was removed."), true);
        session_.select(selected);
        remove_();
      };
    });
  });
}

void CopyActions::paste(bool in_place) {
  const QMimeData* mime = QGuiApplication::clipboard()->mimeData();
  if (!mime) return;
  const bool ours = mime->data(QString::fromLatin1(kFrom)) == from_;
  const QByteArray pieces = mime->data(QString::fromLatin1(ours ? kPieces : kFrozen));
  if (pieces.isEmpty()) {
    if (!take(*mime))
      notice_.say(tr("There is nothing to paste: neither pieces nor a drawing, a picture or words."), true);
    return;
  }
  const double by = in_place || !ours ? 0 : kBeside * ++pastes_;
  session_.aside([self = QPointer(this), this, text = pieces.toStdString(), by, ours]() -> std::function<void()> {
    auto clip = std::make_shared<Result<Project>>(project_from_json(text, "the clipboard"));
    return [self, this, clip, by, ours] {
      if (!self) return;
      if (!*clip) return notice_.say(qs(line_of(clip->error())), true);
      std::vector<int> ids;
      Project next = pasted(session_.project(), **clip, {by, by}, &ids);
      last_.clear();
      std::vector<LineRef> refs;
      for (std::size_t i = 0; i < ids.size(); ++i) {
        refs.push_back({ids[i], ""});
        if (ours) last_.push_back({(*clip)->pieces[i]->id, ids[i]});
      }
      session_.commit(std::move(next), tr("Paste"));
      session_.select(std::move(refs));
    };
  });
}

bool CopyActions::take(const QMimeData& what) {
  const QString text = what.hasText() ? what.text() : QString();
  QByteArray svg = what.data(QString::fromLatin1(kDrawing));
  // Programs that know no better put the drawing there as text.
  if (svg.isEmpty() && text.contains(QStringLiteral("<svg"))) svg = text.toUtf8();
  if (!svg.isEmpty()) {
    pasteDrawing(svg);
  } else if (what.hasImage()) {
    pastePicture(qvariant_cast<QImage>(what.imageData()));
  } else if (!text.trimmed().isEmpty()) {
    pasteWords(text);
  } else {
    return false;
  }
  return true;
}

void CopyActions::pastePicture(const QImage& picture) {
  if (picture.isNull()) return notice_.say(tr("The picture on the clipboard cannot be read."), true);
  session_.bringInPicture(tr("Pasted picture"), [picture] { return Result<PictureFile>({picture_of(picture), 0}); });
}

void CopyActions::pasteWords(const QString& words) {
  QString text = words;
  text.replace(QStringLiteral("\r\n"), QStringLiteral("\n"));
  while (text.endsWith(QLatin1Char('\n'))) text.chop(1);
  int id = 0;
  auto next = add_shape(session_.project(), "lettering", {{"text", text.toStdString()}}, &id);
  if (!next) return notice_.say(tr("That is too long to be lettered: %1").arg(qs(sentence(next.error().said))), true);
  session_.commit(std::move(*next), tr("Paste words"));
  session_.select({{id, ""}});
}

void CopyActions::pasteDrawing(const QByteArray& svg) {
  session_.aside([self = QPointer(this), this, text = svg.toStdString()]() -> std::function<void()> {
    auto art = std::make_shared<Result<Artwork>>(read_svg(text, "the clipboard"));
    return [self, this, art] {
      if (!self) return;
      if (!*art) return notice_.say(qs(line_of(art->error())), true);
      int id = 0;
      Project next = add_artwork(session_.project(), **art, tr("Pasted drawing").toStdString(), &id);
      session_.commit(std::move(next), tr("Paste a drawing"));
      session_.select({{id, ""}});
    };
  });
}

void CopyActions::again() {
  if (last_.empty()) return notice_.say(tr("Duplicate something first, and move, turn or size the copy."), true);
  session_.whenDerived([this] {
    session_.aside(
        [self = QPointer(this), this, copies = last_, before = session_.project()]() -> std::function<void()> {
          DrawingCache cache;
          auto next = std::make_shared<std::vector<Copied>>();
          auto made = std::make_shared<std::optional<Project>>(copied_again(before, copies, cache, next.get()));
          return [self, this, before, made, next] {
            if (!self) return;
            if (!(before == session_.project()))
              return notice_.say(tr("The project was changed meanwhile; it is as you left it. Do that again."), true);
            if (!*made) return notice_.say(tr("The last copy is gone; duplicate something first."), true);
            last_ = *next;
            session_.commit(std::move(**made), tr("Copy once more"));
            std::vector<LineRef> refs;
            for (const Copied& c : last_) refs.push_back({c.to, ""});
            session_.select(std::move(refs));
          };
        });
  });
}

}  // namespace dotlane
