#include "device/job_runner.hpp"

#include <QDateTime>
#include <QDir>
#include <algorithm>
#include <utility>

#include "core/format/files.hpp"
#include "core/job/hpgl.hpp"
#include "words/sentences.hpp"

namespace dotlane {
namespace {

/// To a cutter that remembers, so many instructions may be on their way; its window is what holds them back.
constexpr std::size_t kAheadOfMemory = 4000;
constexpr int kRetryMs = 500;

/// The first of these ends that lies beyond.
std::size_t first_after(const std::vector<std::size_t>& ends, std::size_t bytes) {
  return static_cast<std::size_t>(std::upper_bound(ends.begin(), ends.end(), bytes) - ends.begin());
}

std::string path_in(const QString& folder, const char* name) {
  return (folder + QLatin1Char('/')).toStdString() + name;
}

/// Where a job was broken off, by where the head stands: at the end of a run, on its way along one, or before one. Only
/// what was under way comes into question. Nothing where no place fits, or two do.
std::optional<JobPlace> place_by_head(const Job& job, JobPlace done, JobPlace sent, Vec at, bool down) {
  constexpr double kNear = 0.06;  // mm: two steps of HPGL
  const Vec head{at.x, job.machine.mat.height_mm - at.y};
  const auto here = [&](Vec p) { return distance(p, head) < kNear; };
  const auto& all = job.instructions;
  const auto run_at = [&](std::size_t i) { return i < all.size() ? std::get_if<RunHead>(&all[i].what) : nullptr; };
  std::vector<JobPlace> found;
  std::size_t before = done.instruction;
  while (before > 0 && !run_at(before - 1)) --before;
  if (done.run_mm == 0 && (before > 0 ? here(run_at(before - 1)->head.back()) : !down && here(home_of(job.machine))))
    found.push_back(done);  // it has not begun what was under way
  for (std::size_t i = done.instruction; i <= sent.instruction && i < all.size() && found.empty(); ++i) {
    const auto* run = run_at(i);
    if (!run) continue;
    // What is broken off stops where a move ends.
    const double from = i == done.instruction ? done.run_mm : 0;
    double way = 0;
    for (std::size_t k = 0; k < run->head.size(); ++k) {
      if (k > 0) way += distance(run->head[k - 1], run->head[k]);
      const bool last = k + 1 == run->head.size();
      if (!here(run->head[k]) || way < from) continue;
      if (down && (k > 0 || last)) found.push_back(last ? JobPlace{i + 1, 0} : JobPlace{i, way});
      if (!down && k == 0) found.push_back({i, 0});
      if (!down && last && k > 0 && !run_at(i + 1)) found.push_back({i + 1, 0});  // what follows has lifted the tool
    }
    if (!down && from > 0 && here(rest_of(*run, from).head.front())) found.push_back(done);
  }
  return found.size() == 1 ? std::optional(found.front()) : std::nullopt;
}

}  // namespace

RunPapers papers_of(std::shared_ptr<const Job> job, JournalHead head, std::string project, Physics physics) {
  const Encoded whole = hpgl_of(*job);
  head.instructions = job->instructions.size();
  head.bytes = whole.text.size();
  head.checksum = checksum_of(whole.text);
  return {std::move(job), std::move(head), std::move(project), std::move(physics)};
}

JobRunner::JobRunner(std::unique_ptr<CutterLink> link, QObject* parent) : QObject(parent), link_(std::move(link)) {
  writer_.setMaxThreadCount(1);
  aside_.setMaxThreadCount(1);
  retry_.setSingleShot(true);
  retry_.setInterval(kRetryMs);
  connect(&retry_, &QTimer::timeout, this, &JobRunner::write);
  listen();
}

void JobRunner::setLink(std::unique_ptr<CutterLink> link) {
  if (running_) return;
  link_->disconnect(this);
  link_ = std::move(link);
  listen();
}

void JobRunner::listen() {
  connect(link_.get(), &CutterLink::opened, this, &JobRunner::opened);
  connect(link_.get(), &CutterLink::moved, this, [this](const HeadState& head) {
    seconds_ = head.seconds;
    record_.seconds = head.seconds;
    emit moved(head);
  });
  connect(link_.get(), &CutterLink::marked, this, &JobRunner::marks);
  connect(link_.get(), &CutterLink::registered, this,
          [this](const Registration& sheet) { record_.registrations.push_back(sheet); });
  connect(link_.get(), &CutterLink::done, this, &JobRunner::confirmed);
  connect(link_.get(), &CutterLink::paused, this, [this](const LoadMarker& wanted) {
    ++record_.pauses;
    put_down({.kind = JournalLine::Kind::pause, .number = wanted.number});
    emit paused(wanted);
  });
  connect(link_.get(), &CutterLink::wrongLoad, this, &JobRunner::wrongLoad);
  connect(link_.get(), &CutterLink::ended, this, &JobRunner::ended);
}

JobRunner::~JobRunner() {
  link_->disconnect(this);
  writer_.waitForDone();
  aside_.waitForDone();
}

void JobRunner::start(RunPapers papers, const QString& folder) {
  if (running_) return;
  papers_ = std::move(papers);
  folder_ = folder;
  record_ = {};
  part_ = 0;
  starts_.clear();
  lines_.clear();
  made_.reset();
  done_ = sent_ = {};
  seconds_ = 0;
  from_.reset(), jump_.reset();
  again_ = false;
  journal_.reset();
  pending_.clear();
  retry_.stop();
  journal_problem_.clear();
  if (!folder_.isEmpty()) {
    journal_ = std::make_shared<JournalFile>();
    pending_ = journal_text(papers_.head);
    writing_ = true;  // the folder comes first
    writer_.start([this, journal = journal_, folder, project = papers_.project] {
      QDir().mkpath(folder);
      Result<void> made = write_file(path_in(folder, "project.dotlane"), project);
      if (made) made = journal->open(path_in(folder, "journal.jsonl"));
      QMetaObject::invokeMethod(
          this,
          [this, made] {
            writing_ = false;
            if (made) return write();
            journal_.reset();
            ended(Outcome::failed,
                  tr("The journal of the run cannot be begun: %1").arg(QString::fromStdString(line_of(made.error()))));
          },
          Qt::QueuedConnection);
    });
  }
  begin();
}

bool JobRunner::takeUp(RunPapers papers, const QString& folder, const JournalState& state) {
  if (running_) return false;
  papers_ = std::move(papers);
  folder_ = folder;
  record_ = {};
  record_.outcome = Outcome::failed;
  starts_ = state.parts;
  lines_ = state.lines;
  part_ = static_cast<int>(starts_.size());
  made_.reset();
  done_ = state.done, sent_ = state.sent;
  seconds_ = state.seconds;
  from_.reset(), jump_.reset();
  again_ = true;
  journal_ = std::make_shared<JournalFile>();
  pending_.clear();
  if (const auto opened = journal_->open(path_in(folder_, "journal.jsonl")); !opened) {
    journal_.reset();
    record_.problem = {line_of(opened.error())};
    return false;
  }
  return true;
}

std::vector<std::string> JobRunner::holdersNow() const {
  if (!papers_.job) return {};
  return holders_at(*papers_.job, done_.instruction == 0 ? 0 : done_.instruction - 1);
}

void JobRunner::goOn() {
  if (running_ || !papers_.job) return;
  again_ = true;
  begin();
}

void JobRunner::goOnAt(JobPlace from) {
  if (running_ || !papers_.job) return;
  from_ = from;
  again_ = true;
  begin();
}

void JobRunner::jump(JobPlace to) {
  if (!running_ || !sending_) return;
  jump_ = to;
  link_->cancel();
}

void JobRunner::begin() {
  running_ = true;
  sending_ = cancelled_ = false;
  unsure_ = false;
  record_.outcome = Outcome::running;
  record_.problem = {};
  link_->keepMat(folder_.isEmpty() ? QString() : folder_ + QStringLiteral("/mat.jsonl"));
  link_->open();
}

void JobRunner::opened(const DeviceMemory& memory) {
  if (!running_) return;
  const bool knows =
      again_ && memory.job == papers_.head.job && memory.part >= 1 && memory.part <= static_cast<int>(starts_.size());
  if (knows) {
    record_.marks.clear(), record_.marked_mm.clear();
    seconds_ = memory.seconds;
    emit recalling();
  }
  // What is left of the job, and what the streams so far were: their marks and their bytes are told by these.
  if (again_ && !knows && !from_ && memory.at) {
    const auto found = place_by_head(*papers_.job, done_, sent_, *memory.at, memory.down);
    if (!found) {
      unsure_ = true;
      return ended(Outcome::failed,
                   tr("The cutter stands where no stroke under way would leave it. Look at the work, and "
                      "say which stroke was the last one made."));
    }
    from_ = found;
  }
  aside_.start([this, job = papers_.job, starts = starts_, knows, memory, from = from_, done = done_] {
    auto made = std::make_shared<Made>();
    const auto add = [&](const JobPlace& start) {
      made->rest = start == JobPlace{} ? JobRest{*job, 0, {}, 0} : job_from(*job, start);
      made->stream = hpgl_of(made->rest.job);
      made->parts.push_back({made->rest.before, made->stream.ends, made->rest.from, made->rest.ahead_mm});
    };
    if (knows) {
      for (const auto& start : starts) add(start);
    } else {
      made->parts.resize(starts.size());
    }
    JobPlace next = from.value_or(done);
    if (knows && !from) {
      const Part& last = made->parts[static_cast<std::size_t>(memory.part) - 1];
      next = place_of(last, memory.done, memory.run_mm);
    }
    add(next);
    QMetaObject::invokeMethod(
        this,
        [this, made = std::shared_ptr<const Made>(made)] {
          if (running_) send(made);
        },
        Qt::QueuedConnection);
  });
}

void JobRunner::send(std::shared_ptr<const Made> made) {
  if (cancelled_) {
    link_->close();
    return ended(Outcome::cancelled, tr("It was cancelled before anything was sent."));
  }
  made_ = std::move(made);
  from_.reset();
  const JobPlace start = made_->parts.back().from;
  starts_.push_back(start);
  ++part_;
  done_ = sent_ = start;
  if (again_) link_->recall();
  Shipment shipment;
  shipment.job = papers_.head.job, shipment.part = part_;
  shipment.stream = made_->stream;
  const auto& all = made_->rest.job.instructions;
  for (std::size_t i = 0; i < all.size(); ++i) {
    const auto* load = std::get_if<LoadHolders>(&all[i].what);
    if (load && load->pause) shipment.pauses.emplace_back(i, *load);
  }
  shipment.machine = papers_.job->machine;
  shipment.holders = holders_at(papers_.job->instructions.empty() ? Job{} : *papers_.job,
                                start.instruction == 0 ? 0 : start.instruction - 1);
  shipment.printed = papers_.job->printed;
  shipment.physics = papers_.physics;
  sending_ = true;
  link_->send(shipment);
  put_down({.kind = JournalLine::Kind::part, .number = part_, .place = start});
  sent_ = ahead_of(done_);
  put_down({.kind = JournalLine::Kind::sent, .place = sent_});
  write();
  if (!journal_) allow_to(sent_);
}

JobPlace JobRunner::place_of(const Part& part, std::size_t bytes, double run_mm) {
  const auto i = first_after(part.ends, bytes);
  if (i < part.before) return part.from;
  if (i > part.before) return {part.from.instruction + i - part.before, run_mm};
  return {part.from.instruction, std::max(part.from.run_mm, part.from.run_mm + run_mm - part.ahead_mm)};
}

JobPlace JobRunner::ahead_of(JobPlace place) const {
  const auto& all = papers_.job->instructions;
  const std::size_t most = link_->capabilities().remembers ? kAheadOfMemory : kAhead;
  std::size_t runs = 0, i = place.instruction;
  for (; i < all.size() && runs < most; ++i) runs += std::holds_alternative<RunHead>(all[i].what);
  return {i, 0};
}

void JobRunner::confirmed(std::size_t bytes, double run_mm) {
  if (!running_ || !sending_ || !made_) return;
  const JobPlace now = place_of(made_->parts.back(), bytes, run_mm);
  if (now == done_) return;
  const bool further = now.instruction != done_.instruction;
  done_ = now;
  put_down({.kind = JournalLine::Kind::done, .place = done_, .seconds = seconds_});
  if (further) {
    sent_ = std::max(sent_, ahead_of(done_));
    put_down({.kind = JournalLine::Kind::sent, .place = sent_});
  }
  write();
  if (!journal_) allow_to(sent_);
}

void JobRunner::marks(std::vector<Mark> marks) {
  for (auto& mark : marks) {
    const auto part = static_cast<std::size_t>(mark.part - 1);
    if (made_ && part < made_->parts.size() && mark.at > 0) {
      const Part& by = made_->parts[part];
      const auto i = first_after(by.ends, mark.at - 1);
      if (i >= by.before && i < by.ends.size()) {
        mark.instruction = by.from.instruction + i - by.before;
        if (i == by.before) {  // a run that goes on where it was broken off
          const double shift = by.from.run_mm - by.ahead_mm;
          mark.from_mm = std::max(by.from.run_mm, mark.from_mm + shift);
          mark.to_mm = std::max(by.from.run_mm, mark.to_mm + shift);
        }
      }
    }
    auto& mm = record_.marked_mm[mark.tool];
    for (std::size_t i = 1; i < mark.points.size(); ++i) mm += distance(mark.points[i - 1], mark.points[i]);
    record_.marks.push_back(std::move(mark));
  }
}

void JobRunner::ended(Outcome outcome, const QString& problem) {
  if (!running_) return;
  sending_ = false;
  if (jump_ && outcome == Outcome::cancelled) {
    from_ = std::exchange(jump_, std::nullopt);
    again_ = true;
    begin();
    return;
  }
  jump_.reset();
  running_ = false;
  link_->close();
  record_.outcome = outcome;
  record_.problem = {problem.toStdString()};
  if (outcome == Outcome::done) done_ = sent_ = {papers_.job->instructions.size(), 0};
  put_down({.kind = JournalLine::Kind::done, .place = done_, .seconds = seconds_});
  if (outcome == Outcome::failed) {
    put_down({.kind = JournalLine::Kind::lost, .text = problem.toStdString()});
  } else {
    put_down({.kind = JournalLine::Kind::end, .text = word(outcome)});
  }
  write();
  emit finished(record_);
}

void JobRunner::put_down(JournalLine line) {
  using Kind = JournalLine::Kind;
  if (line.kind == Kind::pause || line.kind == Kind::loaded)
    line.ms = static_cast<double>(QDateTime::currentMSecsSinceEpoch());
  if (line.kind == Kind::part || line.kind == Kind::done || line.kind == Kind::pause || line.kind == Kind::loaded)
    lines_.push_back(line);
  if (journal_) pending_ += journal_text(line);
}

JournalState JobRunner::journal() const {
  JournalState out;
  out.head = papers_.head;
  out.parts = starts_;
  out.sent = sent_, out.done = done_, out.seconds = seconds_;
  if (!running_ && record_.outcome != Outcome::failed) out.outcome = word(record_.outcome);
  out.lines = lines_;
  return out;
}

void JobRunner::write() {
  if (!journal_ || writing_ || pending_.empty()) return;
  writing_ = true;
  writer_.start([this, journal = journal_, text = std::exchange(pending_, {}), to = sent_, part = part_] {
    const Result<void> kept = journal->add(text);
    QMetaObject::invokeMethod(
        this,
        [this, journal, kept, text, to, part] {
          writing_ = false;
          if (journal != journal_) return write();  // of a run before this one
          if (!kept) {
            pending_ = text + pending_;
            journal_problem_ = QString::fromStdString(line_of(kept.error()));
            retry_.start();
            emit journalChanged();
            return;
          }
          if (!std::exchange(journal_problem_, QString()).isEmpty()) emit journalChanged();
          if (sending_ && part == part_) allow_to(to);
          write();
        },
        Qt::QueuedConnection);
  });
}

void JobRunner::allow_to(JobPlace to) {
  const Part& now = made_->parts.back();
  const std::size_t i = to.instruction - now.from.instruction + now.before;
  link_->allow(i >= now.ends.size() ? made_->stream.text.size() : i == 0 ? 0 : now.ends[i - 1]);
}

void JobRunner::confirmLoaded(const std::vector<std::string>& holders) {
  put_down({.kind = JournalLine::Kind::loaded, .holders = holders});
  write();
  link_->confirmLoaded(holders);
}

void JobRunner::hold() {
  put_down({.kind = JournalLine::Kind::held});
  write();
  link_->hold();
}

void JobRunner::resumeHeld() { link_->resume(); }

void JobRunner::cancel() {
  if (!running_) return;
  cancelled_ = true;
  link_->cancel();
}

void JobRunner::acknowledge(const std::string& point) {
  put_down({.kind = JournalLine::Kind::card, .text = point});
  write();
}

void JobRunner::matUnloaded() {
  put_down({.kind = JournalLine::Kind::unloaded});
  write();
}

}  // namespace dotlane
