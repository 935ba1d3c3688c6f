#include "app/log/log_desk.hpp"

#include <QCoreApplication>
#include <QDateTime>
#include <QDir>
#include <QFileInfo>
#include <QImageReader>
#include <map>

#include "app/data_file.hpp"
#include "app/units.hpp"
#include "core/format/project_json.hpp"
#include "core/road.hpp"
#include "render/sheet_export.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

constexpr int kPicturesShown = 600;

}  // namespace

LogDesk::LogDesk(QObject* parent, const std::string& file) : QObject(parent) {
  connect(&aside_, &Aside::failed, this,
          [this](const QString& what) { emit said(tr("The logbook could not be read: %1").arg(what), true); });
  const std::string path = file.empty() ? data_file("logbook.sqlite") : file;
  folder_ = path.substr(0, path.rfind('/'));
  openBook(path);
}

void LogDesk::openBook(const std::string& path) {
  aside_.run([this, book = book_, path]() -> std::function<void()> {
    const std::string copies = path.substr(0, path.rfind('/')) + "/logbook-copies";
    const std::string today = QDate::currentDate().toString(Qt::ISODate).toStdString();
    QString message;
    auto opened = Logbook::open(path);
    if (!opened && opened.error().kind == ErrorKind::malformed) {
      const QString why = qs(line_of(opened.error()));
      const auto mended = mend_logbook(path, copies, today);
      if (mended) {
        opened = Logbook::open(path);
        message = mended->from.empty()
                      ? tr("%1. It was set aside as %2; a new one is begun.").arg(why, qs(mended->aside))
                      : tr("%1. It was set aside as %2, and the copy %3 is used.")
                            .arg(why, qs(mended->aside), qs(mended->from));
      }
    }
    if (opened) {
      *book = std::move(*opened);
      (void)(*book)->back_up(copies, today);
    } else if (message.isEmpty()) {
      message = tr("Nothing is logged: %1").arg(qs(line_of(opened.error())));
    }
    if (message.isEmpty()) return {};
    return [this, message] { emit said(message, true); };
  });
}

void LogDesk::aside(std::function<std::function<void()>(Logbook&)> work) {
  aside_.run([book = book_, work = std::move(work)]() -> std::function<void()> {
    return *book ? work(**book) : std::function<void()>();
  });
}

void LogDesk::keep(std::function<LoggedRun()> run, std::shared_ptr<const std::string> project,
                   std::function<std::string()> picture, std::function<void(const LoggedRun&)> then) {
  if (!keeps_) return;
  aside([this, run = std::move(run), project, picture = std::move(picture),
         then = std::move(then)](Logbook& book) -> std::function<void()> {
    const auto id = book.keep(run(), *project, picture());
    const auto kept = id ? book.run(*id) : tl::unexpected<Error>(id.error());
    return [this, kept, then] {
      if (!kept) return emit said(tr("The run is not logged: %1").arg(qs(line_of(kept.error()))), true);
      pictures_.remove(kept->id), asked_.remove(kept->id);
      if (then) then(*kept);
      read();
    };
  });
}

bool LogDesk::written(const Result<void>& done) {
  if (!done) emit said(tr("What you said of the run is not kept: %1").arg(qs(line_of(done.error()))), true);
  return done.has_value();
}

std::function<void()> LogDesk::shown(std::int64_t run, Result<void> done) {
  return [this, run, done = std::move(done)] {
    written(done);
    if (chosen_ && chosen_->id == run) choose(run);
    read();
  };
}

void LogDesk::say(std::int64_t run, int pass, CameOut out) {
  aside([this, run, pass, out](Logbook& book) -> std::function<void()> {
    const auto now = book.run(run);
    if (!now) return shown(run, tl::unexpected<Error>(now.error()));
    Result<void> done;
    for (const auto& p : now->passes) {
      if (done && (pass == 0 || p.index == pass)) done = book.say(run, p.index, out);
    }
    return shown(run, done);
  });
}

void LogDesk::say(std::int64_t run, Weeding weeding) {
  aside([this, run, weeding](Logbook& book) -> std::function<void()> { return shown(run, book.say(run, weeding)); });
}

void LogDesk::note(std::int64_t run, const QString& note) {
  aside([this, run, text = note.toStdString()](Logbook& book) -> std::function<void()> {
    return [this, run, text, done = book.note(run, text)] {
      // Not shown anew: leaving the field may be the first half of a click on what stands beside it.
      if (written(done) && chosen_ && chosen_->id == run) chosen_->note = text;
      read();
    };
  });
}

QString LogDesk::photoPath(const std::string& name) const { return qs(folder_ + "/photos/" + name); }

void LogDesk::photo(const std::string& name, int longest, std::function<void(QImage)> then) {
  aside([path = photoPath(name), longest, then = std::move(then)](Logbook&) -> std::function<void()> {
    QImageReader reader(path);
    reader.setScaledSize(reader.size().scaled(longest, longest, Qt::KeepAspectRatio));
    return [image = reader.read(), then] { then(image); };
  });
}

void LogDesk::addPhotos(std::int64_t run, const QStringList& files) {
  aside([this, run, files, folder = qs(folder_ + "/photos")](Logbook& book) -> std::function<void()> {
    constexpr int kLongest = 1600, kQuality = 85;  // px; percent
    QStringList trouble;
    const auto entry = book.run(run);
    std::size_t n = entry ? entry->photos.size() : 0;
    QDir().mkpath(folder);
    for (const QString& file : files) {
      QImageReader reader(file);
      reader.setAutoTransform(true);
      QImage image = reader.read();
      if (image.isNull() || !entry) {
        trouble << tr("%1 is no picture that can be read").arg(QFileInfo(file).fileName());
        continue;
      }
      if (std::max(image.width(), image.height()) > kLongest)
        image = image.scaled(kLongest, kLongest, Qt::KeepAspectRatio, Qt::SmoothTransformation);
      const QString name = QStringLiteral("%1-%2.jpg").arg(qs(entry->job)).arg(++n);
      if (image.save(folder + QLatin1Char('/') + name, "JPG", kQuality)) {
        const auto kept = book.add_photo(run, name.toStdString());
        if (!kept) trouble << qs(line_of(kept.error()));
      } else {
        trouble << tr("%1 could not be kept: %2 cannot be written").arg(QFileInfo(file).fileName(), folder);
      }
    }
    return [this, run, trouble] {
      if (!trouble.isEmpty()) emit said(trouble.join(QStringLiteral(". ")), true);
      if (chosen_ && chosen_->id == run) choose(run);
    };
  });
}

void LogDesk::setFilter(const RunFilter& filter) {
  filter_ = filter;
  read(false);
}

void LogDesk::refresh() { read(); }

void LogDesk::read(bool all) {
  aside([this, filter = filter_, all](Logbook& book) -> std::function<void()> {
    auto found = std::make_shared<std::vector<RunGlance>>(book.glances(filter).value_or(std::vector<RunGlance>{}));
    auto known = std::make_shared<std::optional<Logbook::Known>>();
    if (all) *known = book.known().value_or(Logbook::Known{});
    return [this, found, known] {
      glances_ = std::move(*found);
      if (*known) known_ = std::move(**known);
      emit changed();
    };
  });
}

void LogDesk::choose(std::int64_t run) {
  wanted_ = run;
  compared_.reset();
  aside([this, run](Logbook& book) -> std::function<void()> {
    auto found = std::make_shared<Result<LoggedRun>>(book.run(run));
    return [this, run, found] {
      if (run != wanted_) return;
      chosen_.reset();
      if (*found) chosen_ = std::move(**found);
      emit chosenChanged();
    };
  });
}

void LogDesk::compareWith(std::int64_t run) {
  aside([this, run, beside = wanted_](Logbook& book) -> std::function<void()> {
    auto found = std::make_shared<Result<LoggedRun>>(book.run(run));
    return [this, found, beside] {
      if (beside != wanted_) return;
      compared_.reset();
      if (*found) compared_ = std::move(**found);
      emit chosenChanged();
    };
  });
}

/// What was planned, for runs that came without a picture, as from another's logbook; once for all of a project.
QImage LogDesk::planned_picture(Logbook& book, std::int64_t run) {
  const auto entry = book.run(run);
  if (!entry) return {};
  const QString key = qs(entry->project_key);
  if (const auto known = planned_.constFind(key); known != planned_.constEnd()) return *known;
  QImage image;
  const auto text = book.project_of(run);
  if (const auto project = project_from_json(text.value_or(std::string()), entry->project)) {
    DrawingCache cache;
    const Derived derived = derive(*project, cache);
    image.loadFromData(QByteArray::fromStdString(run_picture(*project, &derived, {})), "PNG");
  }
  planned_.insert(key, image);
  return image;
}

QPixmap LogDesk::picture(std::int64_t run) {
  if (const auto known = pictures_.constFind(run); known != pictures_.constEnd()) return *known;
  if (asked_.contains(run)) return {};
  asked_.insert(run);
  aside([this, run](Logbook& book) -> std::function<void()> {
    const auto bytes = book.picture_of(run);
    QImage image;
    if (bytes && !bytes->empty()) image.loadFromData(QByteArray::fromStdString(*bytes), "PNG");
    if (image.isNull()) image = planned_picture(book, run);
    return [this, run, image] {
      if (pictures_.size() > kPicturesShown) pictures_.clear(), asked_.clear();
      pictures_.insert(run, QPixmap::fromImage(image));
      emit pictureCame(run);
    };
  });
  return {};
}

void LogDesk::projectOf(std::int64_t run, std::function<void(std::string)> then) {
  aside([this, run, then = std::move(then)](Logbook& book) -> std::function<void()> {
    const auto text = book.project_of(run);
    return [this, text, then] {
      if (!text) return emit said(qs(line_of(text.error())), true);
      then(*text);
    };
  });
}

void LogDesk::fields(const Project& project, std::function<void(std::vector<Field>)> then) {
  aside([project, then = std::move(then)](Logbook& book) -> std::function<void()> {
    auto out = std::make_shared<std::vector<Field>>();
    const auto runs = book.runs({.role = Role::cut}).value_or(std::vector<LoggedRun>{});
    std::map<std::string, std::string> tools;  // that were tried
    std::map<std::string, std::string> names;  // of stocks
    for (const auto& run : runs) {
      for (const auto& pass : run.passes) {
        if (pass.role != Role::cut || pass.came_out == CameOut::unsaid || pass.came_out == CameOut::skipped) continue;
        tools[pass.tool] = pass.tool_name, names[pass.stock] = pass.stock_name;
      }
    }
    for (const auto& [tool, tool_name] : tools) {
      const TriedStocks known = tried_stocks(project, runs, tool, Role::cut);
      const CutModel model(known.stocks, known.tried);
      for (std::size_t s = 0; s < known.stocks.size(); ++s) {
        Field field;
        for (const auto& t : known.tried) {
          if (t.stock == s) field.tried.push_back(t);
        }
        if (field.tried.empty()) continue;
        field.stock = qs(names[known.stocks[s].id]), field.tool = qs(tool_name);
        double most = 0, deepest = 1;
        for (const auto& t : field.tried) most = std::max(most, t.force_gf), deepest = std::max(deepest, t.depth);
        constexpr int kAcross = 24;
        for (int i = 1; i <= kAcross; ++i) field.forces.push_back(most * 1.25 * i / kAcross);
        for (double d = 1; d <= deepest + 1; d += 1) field.depths.push_back(d);
        for (const auto& at : model.foretold(s, field.forces, field.depths, {1})) field.clean.push_back(at.clean);
        out->push_back(std::move(field));
      }
    }
    std::stable_sort(out->begin(), out->end(),
                     [](const Field& a, const Field& b) { return a.tried.size() > b.tried.size(); });
    return [out, then] { then(std::move(*out)); };
  });
}

void LogDesk::advise(const Project& project, const std::string& stock, const std::string& tool, Role role,
                     std::function<void(std::optional<Advice>)> then) {
  aside([project, stock, tool, role, then = std::move(then)](Logbook& book) -> std::function<void()> {
    const auto runs = book.runs({.tool = tool, .role = role}).value_or(std::vector<LoggedRun>{});
    const auto found = dotlane::advise(project, runs, stock, tool, role);
    return [then, found] { then(found ? std::optional(*found) : std::nullopt); };
  });
}

void LogDesk::forceCurve(const Project& project, const std::string& stock, const std::string& tool, Role role,
                         double depth, int repeats, std::function<void(std::optional<ForceCurve>)> then) {
  aside([project, stock, tool, role, depth, repeats, then = std::move(then)](Logbook& book) -> std::function<void()> {
    const auto runs = book.runs({.tool = tool, .role = role}).value_or(std::vector<LoggedRun>{});
    const auto found = force_curve(project, runs, stock, tool, role, depth, repeats);
    return [then, found] { then(found ? std::optional(*found) : std::nullopt); };
  });
}

void LogDesk::learnedPace(const std::string& machine, std::function<void(std::map<Role, Pace>)> then) {
  aside([machine, then = std::move(then)](Logbook& book) -> std::function<void()> {
    const auto found = learned_pace(book.runs({.rehearsed = false}).value_or(std::vector<LoggedRun>{}), machine);
    return [then, found] { then(found); };
  });
}

void LogDesk::metresOf(const std::string& tool, std::function<void(double)> then) {
  aside([tool, then = std::move(then)](Logbook& book) -> std::function<void()> {
    const double metres = book.metres_of(tool).value_or(0);
    return [then, metres] { then(metres); };
  });
}

void LogDesk::putInNew(const std::string& tool) {
  const std::string now = QDateTime::currentDateTime().toString(Qt::ISODate).toStdString();
  aside([this, tool, now](Logbook& book) -> std::function<void()> {
    const auto done = book.changed(tool, now);
    return [this, done] {
      if (!done) return emit said(qs(line_of(done.error())), true);
      emit changed();
    };
  });
}

void LogDesk::runningOut(std::shared_ptr<const Derived> of, std::function<void(std::vector<Finding>)> then) {
  aside([of, then = std::move(then)](Logbook& book) -> std::function<void()> {
    std::map<std::string, double> metres;
    for (const auto& tool : of->project.tools) {
      if (tool.lasts_m > 0) metres[tool.id] = book.metres_of(tool.id).value_or(0);
    }
    const auto found = worn_findings(of->project, of->drawing, of->plan, running_out(of->project, of->plan, metres));
    return [then, found] { then(found); };
  });
}

}  // namespace dotlane
