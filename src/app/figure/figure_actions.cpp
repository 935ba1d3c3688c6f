#include "app/figure/figure_actions.hpp"

#include <QFileInfo>
#include <QLocale>
#include <QPointer>
#include <algorithm>
#include <optional>

#include "app/dialogs.hpp"
#include "app/figure/size_sheet.hpp"
#include "app/units.hpp"
#include "core/shape/recipe_edit.hpp"
#include "render/guide.hpp"
#include "render/job_sheet.hpp"
#include "render/print_sheet.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

QString percent_text(double scale) {
  return QLocale().toString(100 * told_scale(scale), 'f', 1) + QStringLiteral(" %");
}

QString remedy_text(const Remedy& remedy) {
  const QString name = qs(remedy.name), percent = percent_text(remedy.scale);
  switch (remedy.what) {
    case Remedy::What::mat:
      return QObject::tr("On a mat of %1 it could have %2.").arg(name, percent);
    case Remedy::What::sheet:
      return QObject::tr("On a whole sheet of %1 it could have %2.").arg(name, percent);
    case Remedy::What::seam:
      return QObject::tr("With one seam across %1 it could have %2.").arg(name, percent);
    default:
      return QObject::tr("With %1 trimmed under what lies on it, it could have %2.").arg(name, percent);
  }
}

}  // namespace

FigureActions::FigureActions(Session& session, Actions& actions, Notice& notice, QObject* parent)
    : QObject(parent), session_(session), notice_(notice) {
  actions.add("how-big", tr("How big may the figure be for its sheets?"), Qt::ALT | Qt::SHIFT | Qt::Key_G,
              [this] { ask(); });
  actions.add("divide-large", tr("Divide what is larger than its sheet"), Qt::ALT | Qt::SHIFT | Qt::Key_S,
              [this] { divide(); });
  actions.add("unite-stocks", tr("Unite cards of nearly the same colour"), Qt::ALT | Qt::SHIFT | Qt::Key_E,
              [this] { askNearStocks(); });
  actions.add("save-guide", tr("Save how it is put together: PDF…"), Qt::ALT | Qt::SHIFT | Qt::Key_P,
              [this] { saveGuide(); });
  actions.add("save-poster", tr("Save the figure with its numbers at true scale: PDF…"),
              Qt::ALT | Qt::SHIFT | Qt::Key_O, [this] { savePoster(); });
  actions.add("save-print", tr("Save what is printed before it is cut: PDF…"), Qt::ALT | Qt::SHIFT | Qt::Key_I,
              [this] { savePrint(); });
  actions.add("save-job-sheet", tr("Save the job sheet: PDF…"), Qt::ALT | Qt::SHIFT | Qt::Key_J,
              [this] { saveJobSheet(); });
}

void FigureActions::saveJobSheet() {
  savePages(tr("Save the job sheet"), tr(", job sheet"), tr("There is nothing to run: give lines a role and a tool."),
            [](const std::shared_ptr<const Derived>& of, const std::string& path) -> Result<int> {
              if (of->plan.passes.empty()) return 0;
              return write_job_sheet_pdf(of->project, *of, path, paper_for(of->project.unit));
            });
}

void FigureActions::saveGuide() {
  savePages(tr("Save how it is put together"), tr(", put together"),
            tr("There is no part that is cut out, and so nothing to put together."),
            [](const std::shared_ptr<const Derived>& of, const std::string& path) -> Result<int> {
              const AssemblyGuide guide(of->project, *of, of->project.laying.top_first);
              if (guide.steps().empty()) return 0;
              return write_guide_pdf(guide, of->project.name, path, paper_for(of->project.unit));
            });
}

void FigureActions::savePoster() {
  savePages(tr("Save the figure at true scale"), tr(", true scale"),
            tr("There is no part that is cut out, and so nothing to put together."),
            [](const std::shared_ptr<const Derived>& of, const std::string& path) -> Result<int> {
              const AssemblyGuide guide(of->project, *of, of->project.laying.top_first);
              if (guide.steps().empty()) return 0;
              return write_poster_pdf(guide, of->project.name, path, paper_for(of->project.unit));
            });
}

void FigureActions::savePrint() {
  savePages(tr("Save what is printed"), tr(", to print"),
            tr("No sheet is printed first. Say which is, on its card at Sheets."),
            [](const std::shared_ptr<const Derived>& of, const std::string& path) -> Result<int> {
              const Print print(of);
              if (!print.any()) return 0;
              return write_print_pdf(print, 0, path);
            });
}

void FigureActions::savePages(const QString& title, const QString& ending, const QString& nothing, const Write& write) {
  const QString name = session_.path().isEmpty() ? qs(session_.project().name)
                                                 : QFileInfo(session_.path()).path() + QLatin1Char('/') +
                                                       QFileInfo(session_.path()).completeBaseName();
  QString path = dialogs().saveFile(notice_.window(), title, name + ending + QStringLiteral(".pdf"), tr("PDF (*.pdf)"));
  if (path.isEmpty()) return;
  if (!path.endsWith(QStringLiteral(".pdf"), Qt::CaseInsensitive)) path += QStringLiteral(".pdf");
  session_.whenDerived([self = QPointer<FigureActions>(this), path, nothing, write] {
    if (!self) return;
    self->session_.aside(
        [self, path, nothing, write, derived = self->session_.derivedHandle()]() -> std::function<void()> {
          const Result<int> done = write(derived, path.toStdString());
          const QString problem = !done ? qs(line_of(done.error())) : *done == 0 ? nothing : QString();
          return [self, path, problem, pages = static_cast<std::size_t>(done.value_or(0))] {
            if (!self) return;
            if (!problem.isEmpty()) return self->notice_.say(problem, true);
            self->notice_.say(
                tr("Saved %1: %2").arg(QFileInfo(path).fileName(), counted(pages, tr("page"), tr("pages"))), false);
          };
        });
  });
}

void FigureActions::askNearStocks() {
  session_.whenDerived([self = QPointer<FigureActions>(this)] {
    if (!self) return;
    const auto derived = self->session_.derivedHandle();
    self->session_.aside([self, derived]() -> std::function<void()> {
      const auto pairs = near_stocks(derived->project, derived->drawing, derived->layout);
      return [self, derived, pairs] {
        if (self) self->offerUniting(derived, pairs);
      };
    });
  });
}

void FigureActions::offerUniting(const std::shared_ptr<const Derived>& asked, const std::vector<NearStocks>& pairs) {
  if (pairs.empty()) return notice_.say(tr("No two cards in use differ by less than 5 (CIEDE2000)."), false);
  const auto name = [&](const std::string& id) {
    const Stock* stock = find_stock(asked->project, id);
    return stock ? qs(stock->name) : qs(id);
  };
  QStringList list;
  for (const auto& pair : pairs) {
    const auto& bit = pair.bits.front();
    const LengthUnit unit = asked->project.unit;
    QString text = tr("%1 and %2 differ by %3 (CIEDE2000).")
                       .arg(name(pair.other), name(pair.keep), QLocale().toString(pair.difference, 'f', 1));
    const std::size_t saved = pair.sheets > pair.sheets_united ? pair.sheets - pair.sheets_united : 0;
    text +=
        QLatin1Char(' ') + (saved > 0 ? tr("As one they take %1 less.").arg(counted(saved, tr("sheet"), tr("sheets")))
                                      : tr("As one they take as many sheets."));
    text += QLatin1Char(' ') + tr("%1 carries %2, the smallest %3 cm² at %4, %5.")
                                   .arg(name(pair.other), counted(pair.bits.size(), tr("part"), tr("parts")),
                                        QLocale().toString(bit.area_mm2 / 100, 'f', 1), length_text(bit.at.x, unit),
                                        length_text(bit.at.y, unit));
    list << text;
    if (list.size() == 3) break;
  }
  notice_.ask(list.join(QLatin1Char(' ')),
              {{tr("Unite them"),
                [this, asked, pairs] {
                  if (!(session_.project() == asked->project))
                    return notice_.say(tr("The project was changed meanwhile; it is as you left it. Ask again."), true);
                  session_.commit(unite_stocks(asked->project, pairs), tr("Unite cards"));
                }},
               {tr("Leave them"), [] {}}});
}

void FigureActions::divide() {
  const auto pieces = session_.selectedPieces();
  const auto told = std::make_shared<std::optional<std::vector<DividedPart>>>();
  session_.editDrawn(
      [pieces, told](const Project& project, const Drawing&) {
        DrawingCache cache;
        DividedFigure divided = divide_large(project, pieces, cache);
        *told = std::move(divided.parts);
        return std::move(divided.project);
      },
      tr("Divide what is larger than its sheet"), {}, Session::Where::aside);
  session_.whenEdited([self = QPointer<FigureActions>(this), told] {
    if (self && *told) self->tellDivided(**told);
  });
}

void FigureActions::tellDivided(const std::vector<DividedPart>& parts) {
  if (parts.empty()) return notice_.say(tr("Every part fits a sheet as it is."), false);
  const LengthUnit unit = session_.project().unit;
  for (const auto& part : parts) {
    if (!part.fits)
      return notice_.say(
          tr("%1 cannot be divided into tiles that fit its sheet. Take a larger sheet, or unpin its seams.")
              .arg(qs(part.name)),
          true);
  }
  const auto& first = parts.front();
  QString text = tr("%1 in %2, with %3 of %4, %5 in sight.")
                     .arg(qs(first.name), counted(first.tiles, tr("tile"), tr("tiles")),
                          counted(first.seams, tr("seam"), tr("seams")), length_text(first.seam_mm, unit),
                          length_text(first.visible_mm, unit));
  if (parts.size() > 1)
    text += QLatin1Char(' ') + tr("So %1.").arg(counted(parts.size() - 1, tr("more part was"), tr("more parts were")));
  if (std::all_of(parts.begin(), parts.end(), [](const DividedPart& p) { return p.seamless_trimmed; }))
    text += QLatin1Char(' ') + tr("Trimmed under what lies on it, it would need no seam.");
  offerPacking(text);
}

void FigureActions::offerPacking(const QString& text) {
  notice_.ask(text, {{tr("Pack the parts"), [this] { emit packAsked(); }}, {tr("Leave them"), [] {}}});
}

void FigureActions::ask() {
  session_.whenDerived([self = QPointer<FigureActions>(this)] {
    if (!self) return;
    const auto derived = self->session_.derivedHandle();
    if (derived->layout.parts.empty())
      return self->notice_.say(tr("There is no part yet whose size could be asked for."), true);
    self->session_.aside([self, derived]() -> std::function<void()> {
      const HowBig big = how_big(derived->project, derived->drawing, derived->layout);
      return [self, derived, big] {
        if (self) self->answer(derived, big);
      };
    });
  });
}

void FigureActions::answer(const std::shared_ptr<const Derived>& asked, const HowBig& big) {
  if (big.part == npos) return notice_.say(tr("There is no part yet whose size could be asked for."), true);
  const LengthUnit unit = asked->project.unit;
  const double scale = told_scale(big.scale);
  Box size = big.figure;
  size.x1 = size.x0 + size.width() * scale, size.y1 = size.y0 + size.height() * scale;
  QString text =
      tr("At most %1 of its size today: %2 %3. %4 stops it.")
          .arg(percent_text(big.scale), size_text(size, unit), unit_word(unit), qs(asked->layout.parts[big.part].name));
  if (!big.remedies.empty()) text += QLatin1Char(' ') + remedy_text(big.remedies.front());
  notice_.ask(text, {{tr("Size it so"), [this, asked, scale] { sizeTo(asked->project, scale, false); }},
                     {tr("Sizes and sheets"), [this] { showSizes(); }},
                     {tr("Leave it"), [] {}}});
}

void FigureActions::showSizes() {
  auto* sheet = new SizeSheet(session_, notice_.window());
  connect(sheet, &SizeSheet::sizeAsked, this, &FigureActions::sizeTo);
  sheet->show();
}

void FigureActions::sizeTo(const Project& asked, double scale, bool trimmed) {
  if (!(session_.project() == asked))
    return notice_.say(tr("The project was changed meanwhile; it is as you left it. Ask again."), true);
  const Box frame = session_.drawing().bounds();
  if (trimmed) session_.commit(trim_under(asked, {}, kTuckMm), tr("Trim under"));
  std::vector<int> all;
  for (const auto& piece : asked.pieces) all.push_back(piece->id);
  Sizing sizing{frame.width() * scale, frame.height() * scale};
  sizing.scale_steps = session_.scalesSteps();
  session_.size(all, sizing, {});
  const bool packed = std::any_of(asked.stocks.begin(), asked.stocks.end(),
                                  [](const Stock& s) { return s.laid_out != LaidOut::as_drawn; });
  if (!packed) return;
  session_.whenEdited([self = QPointer<FigureActions>(this)] {
    if (self) self->offerPacking(tr("The parts lie where they lay when they had another size."));
  });
}

}  // namespace dotlane
