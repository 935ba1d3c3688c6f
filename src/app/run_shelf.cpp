#include "app/run_shelf.hpp"

#include <QDir>
#include <QFileInfo>
#include <QStandardPaths>

namespace dotlane {
namespace {

QString runs_folder() {
  return QStandardPaths::writableLocation(QStandardPaths::AppDataLocation) + QStringLiteral("/runs");
}

std::string journal_in(const QString& folder) { return (folder + QStringLiteral("/journal.jsonl")).toStdString(); }

QFileInfoList all_runs() {
  return QDir(runs_folder()).entryInfoList(QDir::Dirs | QDir::NoDotAndDotDot, QDir::Name | QDir::Reversed);
}

}  // namespace

QString new_run_folder() {
  return runs_folder() + QLatin1Char('/') +
         QDateTime::currentDateTime().toString(QStringLiteral("yyyy-MM-dd-hhmmss-zzz"));
}

std::vector<BrokenRun> broken_runs() {
  std::vector<BrokenRun> out;
  for (const QFileInfo& run : all_runs()) {
    const QString folder = run.absoluteFilePath();
    auto state = read_journal(journal_in(folder));
    if (!state || !state->broken_off() || state->parts.empty()) continue;
    JournalFile probe;
    if (!probe.open(journal_in(folder))) continue;  // somebody is at it
    out.push_back({folder, QFileInfo(folder + QStringLiteral("/journal.jsonl")).lastModified(), std::move(*state)});
  }
  return out;
}

void let_run_be(const QString& folder) {
  JournalFile journal;
  if (!journal.open(journal_in(folder))) return;
  (void)journal.add(journal_text(JournalLine{.kind = JournalLine::Kind::end, .text = "let be"}));
}

void tidy_runs() {
  constexpr int kRunsKept = 30;
  int kept = 0;
  for (const QFileInfo& run : all_runs()) {
    const QString folder = run.absoluteFilePath();
    const auto state = read_journal(journal_in(folder));
    if (state && state->broken_off()) continue;
    JournalFile probe;
    if (state && !probe.open(journal_in(folder))) continue;  // somebody is at it
    // What lay on the mat of a run that is over for good is of no use any more.
    QFile::remove(folder + QStringLiteral("/mat.jsonl"));
    if (!state || ++kept > kRunsKept) QDir(folder).removeRecursively();
  }
}

}  // namespace dotlane
